#!/usr/bin/env python3
"""Writes data/shows/salt-lanterns.zelo: the demo show, a night piece in an old salt works by the sea.

    python3 tools/make_demo_show.py data/shows/salt-lanterns.zelo
"""
import json
import sys

SLOTS = {("petrel-4", "emitters 8 bit"): 5, ("tern-6", "emitters 8 bit"): 6, ("gannet-8", "emitters 16 bit"): 18,
         ("petrel-4", "emitters 16 bit"): 10}

# group, type, mode, [(x, y, z, aim)], colour, intensity; metres, x from the middle, y upstage
RIG = [
    ("front", "petrel-4", "emitters 8 bit", [(x, -3.2, 6.0, a) for x, a in
     ((-6, 20), (-3.6, 12), (-1.2, 4), (1.2, -4), (3.6, -12), (6, -20))], "gel:214@3200", 1.0),
    ("back", "gannet-8", "emitters 16 bit", [(-6 + 2.4 * i, 5.6, 6.5, 180) for i in range(6)], "gel:214@3200", 0.68),
    ("cyc", "tern-6", "emitters 8 bit", [(-7 + 2 * i, 7.4, 0.4, 0) for i in range(8)], "gel:214@3200", 0.67),
    ("left", "tern-6", "emitters 8 bit", [(-8, 0.4 + 1.6 * i, 2.5 + 0.5 * i, 90) for i in range(4)], "gel:321@5600", 0.6),
    ("right", "tern-6", "emitters 8 bit", [(8, 0.4 + 1.6 * i, 2.5 + 0.5 * i, 270) for i in range(4)], "gel:109@3200", 0.6),
    ("lanterns", "petrel-4", "emitters 16 bit", [(-3.6, 4.6, 2.2, 0), (-1.8, 3.0, 2.4, 0), (0.2, 4.8, 2.0, 0),
     (2.1, 3.2, 2.3, 0), (3.8, 4.5, 2.1, 0), (5.2, 2.9, 2.2, 0)], "gel:207@2700", 0.5),
    ("sea", "gannet-8", "emitters 16 bit", [(-5 + 2 * i, 1.2, 0.2, 0) for i in range(6)], "gel:338@5600", 0.4),
]
NOTES = {13: "hung upside down", 21: "boom, lowest", 4: "behind the winch", 32: "on the drying rack"}

fixtures, groups, look = [], [], []
number, universe, slot = 0, 1, 1
for index, (group, kind, mode, places, colour, intensity) in enumerate(RIG):
    ids = []
    for x, y, z, aim in places:
        number += 1
        size = SLOTS[kind, mode]
        if slot + size - 1 > 512 or (group == "lanterns" and universe == 1):
            universe, slot = universe + 1, 1
        fixture = {"id": number, "number": number, "type": kind, "mode": mode, "universe": universe, "address": slot,
                   "place": {"x_m": round(x, 2), "y_m": y, "z_m": z, "aim_deg": aim}}
        if number in NOTES:
            fixture["note"] = NOTES[number]
        fixtures.append(fixture)
        look.append({"fixture": number, "intensity": intensity,
                     "colour": {"asked": colour, "uv": [0, 0], "intent": "truest", "give_up": 0.3}})
        ids.append(number)
        slot += size
    groups.append({"id": index + 1, "name": group, "fixtures": ids})

# Palettes of the piece; the left and right booms follow two of them.
PALETTES = [("tide at dusk", "gel:321@5600", None), ("lamp oil", "gel:207@2700", None),
            ("moon on salt", "cct:5600/-0.0040", None), ("embers", "gel:219@3200", None),
            ("rose cliff", "gel:109@3200", None), ("deep water", "gel:338@5600", None),
            ("a breath", None, 0.12), ("blaze", "gel:214@3200", 1.0)]
palettes = []
for i, (name, asked, intensity) in enumerate(PALETTES):
    palette = {"id": i + 1, "name": name}
    if intensity is not None:
        palette["intensity"] = intensity
    if asked:
        palette["colour"] = {"asked": asked, "intent": "truest", "give_up": 0.3}
    palettes.append(palette)
palettes[2]["locked"] = True
for value in look:
    for palette in palettes[:2] + palettes[4:6]:
        if value["colour"]["asked"] == palette["colour"]["asked"]:
            value["colour_from"] = palette["id"]
night = [dict(v) for v in look if v["fixture"] > 12]
looks = [{"id": 1, "name": "night tide", "values": night}]
stage = {"outline": [[-7, -1.5], [7, -1.5], [7, 6.2], [-7, 6.2]],
         "areas": [{"name": "drying racks", "outline": [[-6, 0.6], [-1, 0.6], [-1, 3.4], [-6, 3.4]]},
                   {"name": "pans", "outline": [[-1, 0.6], [6, 0.6], [6, 3.4], [-1, 3.4]]},
                   {"name": "quay", "outline": [[-6, -1.5], [6, -1.5], [6, 0.6], [-6, 0.6]]},
                   {"name": "sea wall", "outline": [[-6, 3.4], [6, 3.4], [6, 6.2], [-6, 6.2]]}]}

# Two gradients of the piece, each in a look: the tide over front, back and cyc, embers up the cyc from both ends.
# u′v′ as `zelo light` prints them, for where the gel is not at hand.
UV = {"gel:214@3200": [0.2975, 0.5446], "gel:118@3200": [0.3873, 0.4785], "gel:338@5600": [0.1311, 0.4217],
      "gel:219@3200": [0.4805, 0.5271], "gel:207@2700": [0.2731, 0.5431]}


def gradient(stops, **more):
    g = {"stops": [{"asked": asked, "uv": UV[asked], **({"at": at} if at is not None else {}),
                    **({"way": way} if way else {})} for asked, at, way in stops]}
    return {**g, **more, "intent": "truest", "give_up": 0.3}


AROUND = {"kind": "around", "floor": 0.8}
GRADIENTS = [("Tide line", gradient([("gel:214@3200", None, AROUND), ("gel:118@3200", 0.4, AROUND),
                                     ("gel:338@5600", None, None)]), range(1, 21), "low water", 0.8),
             ("Ember wall", gradient([("gel:219@3200", None, AROUND), ("gel:207@2700", None, None)],
                                     laid={"mirrored": True}), range(13, 21), "ember watch", 0.7)]
layings = []
for name, one, lamps, look_name, intensity in GRADIENTS:
    palettes.append({"id": len(palettes) + 1, "name": name, "gradient": one})
    looks.append({"id": len(looks) + 1, "name": look_name,
                  "values": [{"fixtures": list(lamps), "intensity": intensity, "colour_laid": len(layings)}]})
    layings.append({"palette": len(palettes), "fixtures": list(lamps)})

# In the file values that are the same stand together, and name their colours by place.
colours = []


def together(values):
    lines = []
    for value in values:
        line = {"fixtures": []}
        if "intensity" in value:
            line["intensity"] = value["intensity"]
        if "colour_from" in value:
            line["colour_from"] = value["colour_from"]
        elif "colour" in value:
            if value["colour"] not in colours:
                colours.append(value["colour"])
            line["colour"] = colours.index(value["colour"])
        same = next((l for l in lines if {**l, "fixtures": []} == line), None)
        if not same:
            lines.append(line)
        (same or line)["fixtures"].append(value["fixture"])
    return lines


# A crossfade that is worked on, and the way it goes kept under a name.
def end(asked, uv):
    return {"colour": {"asked": asked, "uv": uv, "intent": "truest", "give_up": 0.3}}


BY_VIOLET = {"kind": "around", "floor": 0.7, "side": "cw"}
routes = [{"id": 1, "name": "by violet", "way": BY_VIOLET}]
crossfade = {"time_s": 6.0, "tolerance_uv": 0.006, "way": BY_VIOLET, "from": end("gel:104", [0.4162, 0.5146]),
             "to": end("gel:338", [0.1399, 0.4791])}

# The cues of the piece: number, name, up, down, what else a cue has, and what it changes: group, colour, intensity of
# all its lamps or of each.
A, B = [0.9, 0.6, 1.0, 0.5, 0.8, 0.4], [0.35, 0.8, 0.4, 0.7, 0.3, 0.9]  # lanterns, as the wind has them
CUES = [
    (1, "Preset, dusk", 5, 5, {"note": "house open; front on the nets"},
     [("front", "gel:214@3200", 0.18), ("back", "gel:346@5600", 0.3), ("cyc", "gel:424@5600", 0.4),
      ("left", "gel:321@5600", 0.15), ("right", "gel:109@3200", 0.15), ("lanterns", "gel:207@2700", 0),
      ("sea", "gel:338@5600", 0.2)]),
    (2, "House out", 8, 10, {}, [("front", None, 0.06), ("back", None, 0.5), ("cyc", None, 0.55)]),
    (3, "First tide", 12, 12, {"note": "with the low drum"},
     [("front", "gel:321@5600", 0.35), ("back", "gel:338@5600", 0.7), ("cyc", "gel:346@5600", 0.8), ("sea", None, 0.6)]),
    (4, "Bell", 2, 6, {"follow": "after start", "follow_s": 6}, [("left", None, 0.5), ("right", None, 0.05)]),
    (5, "Salt workers", 4, 6, {}, [("front", "gel:220@3200", 0.85), ("back", "gel:229@3200", 0.45),
                                   ("cyc", "gel:223@3200", 0.35), ("left", None, 0.3)]),
    (6, "Rakes", 6, 6, {}, [("front", None, [0.9, 0.7, 0.5, 0.5, 0.7, 0.9]), ("right", "gel:214@3200", 0.4)]),
    (7, "Lanterns lit", 3, 3, {"up_delay_s": 0.5, "down_delay_s": 0.5, "note": "as Mara lifts the first one"},
     [("front", "gel:218@3200", [0.55, 0.8, 1.0, 0.7, 0.9, 0.6]), ("back", "gel:104", 0.4), ("cyc", "gel:216@3200", 0.45),
      ("lanterns", "gel:207@2700", A), ("left", None, 0.1), ("right", None, 0.1)]),
    (7.5, "Lanterns, wind", 2, 2, {"follow": "after start", "follow_s": 4}, [("lanterns", None, B),
                                   ("front", None, [0.4, 0.9, 0.5, 0.4, 1.0, 0.6])]),
    (8, "Oil runs low", 15, 15, {}, [("lanterns", None, 0.25), ("front", None, 0.35)]),
    (9, "Procession", 6, 6, {}, [("front", "gel:219@3200", 0.6), ("back", "gel:424@5600", 0.45), ("cyc", "gel:425@5600", 0.5),
                                 ("lanterns", None, 0.7)]),
    (10, "Nets", 8, 8, {}, [("front", "gel:321@5600", 0.5), ("sea", None, 0.7)]),
    (11, "Storm glass", 5, 5, {"colour_s": 9}, [("back", "gel:346@5600", 0.9), ("cyc", "gel:319@5600", 0.6), ("front", None, 0.25)]),
    (12, "Signal", 1, 2, {"colour_s": 0, "way": {"kind": "jump", "at": 0}, "note": "on the shout, not after it"},
     [("front", "gel:104", 1.0), ("back", "gel:104", 0.8), ("cyc", "gel:104", 0.5), ("lanterns", None, 0)]),
    (13, "Sluice gate", 6, 6, {"colour_s": 6, "way": {"kind": "levels"}},
     [("front", "gel:338@5600", 0.5), ("back", "gel:338@5600", 0.9), ("cyc", "gel:338@5600", 0.6), ("sea", None, 1.0)]),
    (14, "Drowned road", 9, 9, {"up_delay_s": 1, "down_delay_s": 1}, [("front", "gel:353@5600", 0.3), ("back", "gel:338@5600", 0.55),
                                                                     ("cyc", "gel:338@5600", 0.45)]),
    (15, "Undertow", 10, 4, {}, [("sea", None, 0.3), ("left", "gel:346@5600", 0.6), ("right", "gel:346@5600", 0.6)]),
    (16, "The call", 3, 5, {}, [("front", None, [0.1, 0.1, 0.9, 0.9, 0.1, 0.1]), ("cyc", None, 0.2)]),
    (17, "Ebb", 20, 20, {}, [("back", "gel:341@5600", 0.4), ("sea", None, 0.15), ("front", None, 0.1)]),
    (18, "The two sisters", 8, 8, {"colour_s": 6, "route": 1, "note": "sisters cross on \u201ctide\u201d"},
     [("front", "gel:233@3200", [0.8, 0.8, 0.7, 0.02, 0.26, 0.3]), ("back", "gel:346@5600", [0.65, 0.8, 0.95, 0.95, 0.8, 0.65]),
      ("cyc", "gel:424@5600", [0.5, 0.5, 0.7, 0.7, 0.7, 0.7, 0.5, 0.5])]),
    (19, "Sisters part", 12, 12, {}, [("front", None, [0.7, 0.4, 0.1, 0.1, 0.4, 0.7])]),
    (20, "Long night", 30, 30, {}, [("front", None, 0), ("back", "gel:417@5600", 0.35), ("cyc", "gel:417@5600", 0.2), ("left", None, 0.1),
                                    ("right", None, 0.1)]),
    (21, "First light", 20, 20, {"colour_s": 20, "route": 1},
     [("front", "gel:220@3200", 0.7), ("back", "gel:425@5600", 0.5), ("cyc", "gel:230@3200", [0.9, 0.8, 0.6, 0.5, 0.5, 0.6, 0.8, 0.9])]),
    (22, "Salt dries", 30, 30, {"follow": "when done"}, [("front", "gel:203@5600", 0.8), ("back", "gel:220@3200", 0.6), ("cyc", "gel:222@3200", 0.8)]),
    (23, "White pans", 10, 10, {}, [("front", "cct:5600", 0.9), ("back", "cct:5600", 0.7), ("sea", "cct:5600", 0.5)]),
    (24, "Children", 5, 5, {}, [("left", "gel:222@3200", 0.7), ("right", "gel:222@3200", 0.7)]),
    (25, "Gulls", 3, 3, {"follow": "after start", "follow_s": 3}, [("cyc", "gel:304@5600", 0.9)]),
    (26, "Noon heat", 15, 15, {}, [("front", "cct:4300", 1.0), ("cyc", "gel:222@5600", 0.9)]),
    (27, "Evening bell", 12, 12, {}, [("front", "gel:233@3200", 0.6), ("cyc", "gel:219@3200", 0.6), ("back", "gel:424@5600", 0.5)]),
    (28, "Lanterns again", 6, 6, {"dark_first": False, "note": "try the lanterns from their own white"},
     [("lanterns", "gel:216@3200", A), ("front", None, 0.25), ("left", None, 0), ("right", None, 0)]),
    (29, "Last tide", 25, 25, {"way": {"kind": "around", "floor": 0.8}}, [("front", "gel:346@5600", 0.15), ("back", "gel:346@5600", 0.4),
                                                                          ("cyc", "gel:346@5600", 0.35), ("sea", "gel:338@5600", 0.5)]),
    (30, "Out", 6, 6, {"locked": True}, [(name, None, 0) for name in ("front", "back", "cyc", "left", "right", "lanterns", "sea")]),
]
by_name = {g["name"]: g["fixtures"] for g in groups}
palette_of = {p["colour"]["asked"]: p["id"] for p in palettes if "colour" in p and "intensity" not in p}


def told(group, asked, intensity):
    """Values of a group's lamps: the colour by palette where there is one."""
    values = []
    for i, lamp in enumerate(by_name[group]):
        value = {"fixture": lamp}
        if intensity is not None:
            value["intensity"] = intensity[i] if isinstance(intensity, list) else intensity
        if asked:
            value["colour"] = {"asked": asked, "uv": [0, 0], "intent": "truest", "give_up": 0.3}
            if asked in palette_of:
                value["colour_from"] = palette_of[asked]
        values.append(value)
    return values


cues = []
for cue_number, name, up, down, more, changes in CUES:
    cue = {"number": f"{cue_number:g}", "name": name, "up_s": up, "down_s": down}
    cue |= more
    cue["values"] = together([v for change in changes for v in told(*change)])
    cues.append(cue)
cue_lists = [{"id": 1, "name": "The Salt Lanterns", "back_s": 1, "release_s": 2, "cues": cues}]

# Looks that are played by hand, each on a fader.
FADERS = [("Warm front", False, [("front", "gel:214@3200", [1, 1, 1, 0.8, 0.8, 0.8])]), ("Cold back", False, [("back", "gel:346@5600", 1)]),
          ("Dusk cyc", False, [("cyc", "gel:424@5600", 1)]), ("Lantern oil", True, [("lanterns", "gel:207@2700", 1)]),
          ("Brine side", True, [("left", "gel:425@5600", 1), ("right", "gel:425@5600", 1)]), ("Sluice", True, [("sea", "gel:338@5600", 1)]),
          ("Sisters", False, [("front", "gel:233@3200", [1, 1, 1, 0, 0, 0]), ("cyc", "gel:424@5600", 0.7)]),
          ("High tide", True, [("cyc", "gel:338@5600", 1), ("sea", "gel:346@5600", 1)])]
faders = []
for name, latest, changes in FADERS:
    looks.append({"id": len(looks) + 1, "name": name, "values": together([v for change in changes for v in told(*change)])})
    faders.append({"id": len(faders) + 1, "name": name, "look": len(looks), **({"latest": True} if latest else {})})

# Colours that move: along the warm lamps, from one end of the cyc, over the sea.
def step(asked, time_s, change):
    return {"asked": asked, "uv": [0, 0], "time_s": time_s, "change": change}


ripples = [
    {"id": 1, "name": "Tide lanterns", "pattern": "cycle", "laid": {"mirrored": True}, "after_s": 0.45, "way": {"kind": "around", "floor": 0.8},
     "steps": [step("gel:214@3200", 1.2, 0.7), step("gel:118@3200", 1, 0.7), step("gel:422@3200", 1.2, 0.7), step("gel:341@5600", 1.4, 0.7)],
     "fixtures": by_name["front"] + by_name["back"]},
    {"id": 2, "name": "Procession", "pattern": "march", "after_s": 0.6, "pause_s": 1.5,
     "steps": [step("gel:219@3200", 1, 0.8), step("gel:424@5600", 1, 0.8), step("gel:207@2700", 1, 0.8)], "fixtures": by_name["cyc"]},
    {"id": 3, "name": "Beacon", "pattern": "pulse", "over_below": True, "after_s": 0.25, "every_s": 5, "rise_s": 0.2, "stay_s": 0.1, "fall_s": 1.2,
     "steps": [step("gel:222@5600", 1, 1)], "fixtures": by_name["sea"]}]
next(c for c in cues if c["number"] == "9")["ripples"] = [{"ripple": 2, "does": "start"}]
next(c for c in cues if c["number"] == "10")["ripples"] = [{"ripple": 2, "does": "let go"}]
faders.append({"id": len(faders) + 1, "name": "Beacon", "ripple": 3})

looks[0]["values"] = together(night)
standing = together(look)
show = {"format": "zelochrome-show", "version": 4, "name": "The Salt Lanterns", "white_cct_k": 4300,
        "last_fixture_id": number, "last_group_id": len(groups), "fixtures": fixtures, "groups": groups, "last_palette_id": len(palettes),
        "last_look_id": len(looks), "palettes": palettes, "looks": looks, "stage": stage, "favourites": ["gel:214", "gel:338"],
        "colours": colours, "layings": layings, "last_route_id": len(routes), "routes": routes, "crossfade": crossfade, "last_cue_list_id": len(cue_lists), "cue_lists": cue_lists,
        "last_fader_id": len(faders), "faders": faders, "last_ripple_id": len(ripples), "ripples": ripples, "standing": standing}
with open(sys.argv[1], "w", encoding="utf-8") as out:
    out.write("{\n")  # a member a line, an element of a list a line
    members = []
    for name, value in show.items():
        if isinstance(value, list) and value and isinstance(value[0], dict):
            elements = ",\n  ".join(json.dumps(element) for element in value)
            members.append(f' {json.dumps(name)}: [\n  {elements}\n ]')
        else:
            members.append(f" {json.dumps(name)}: {json.dumps(value)}")
    out.write(",\n".join(members) + "\n}\n")
