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
        line = {"fixtures": [], "intensity": value["intensity"]}
        if "colour_from" in value:
            line["colour_from"] = value["colour_from"]
        else:
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

looks[0]["values"] = together(night)
standing = together(look)
show = {"format": "zelochrome-show", "version": 4, "name": "The Salt Lanterns", "white_cct_k": 4300,
        "last_fixture_id": number, "last_group_id": len(groups), "fixtures": fixtures, "groups": groups, "last_palette_id": len(palettes),
        "last_look_id": len(looks), "palettes": palettes, "looks": looks, "stage": stage, "favourites": ["gel:214", "gel:338"],
        "colours": colours, "layings": layings, "last_route_id": len(routes), "routes": routes, "crossfade": crossfade, "standing": standing}
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
