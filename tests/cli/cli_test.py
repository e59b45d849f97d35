#!/usr/bin/env python3
"""The command line as a script uses it: exit codes, JSON as the formats page writes it, wrong input.

    cli_test.py BIN_FOLDER DATA_FOLDER TEST_DATA
"""
import base64
import contextlib
import csv
import io
import json
import os
import pathlib
import re
import select
import signal
import socket
import subprocess
import sys
import tempfile
import time
import unittest
import zipfile

BIN, DATA, TESTS = (pathlib.Path(p) for p in sys.argv[1:4])


def run(*args, program="zelo"):
    env = {k: v for k, v in os.environ.items() if k not in ("DISPLAY", "WAYLAND_DISPLAY", "QT_QPA_PLATFORM")}
    return subprocess.run([BIN / program, *map(str, args)], capture_output=True, text=True, timeout=60, env=env)


def ask(*args):
    done = run(*args, "--json")
    assert done.returncode == 0, done.stderr
    assert "NaN" not in done.stdout and "nan" not in done.stdout
    return json.loads(done.stdout)


@contextlib.contextmanager
def listening(seconds=20):
    """A socket that gets what a program sends to the stage, and its port."""
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as stage:
        stage.bind(("127.0.0.1", 0))
        stage.settimeout(seconds)
        yield stage, stage.getsockname()[1]


class Light(unittest.TestCase):
    def test_a_gel(self):
        light = ask("light", "gel:214@3200")
        self.assertEqual(list(light), ["xyz", "uv", "cct", "duv", "ra", "r", "rf", "rg", "ssi", "ssi_reference"])
        self.assertAlmostEqual(light["uv"][0], 0.2975, 3)

    def test_a_palette_of_a_show(self):
        show = DATA / "shows" / "salt-lanterns.zelo"
        self.assertEqual(ask("light", "palette:lamp oil", "--show", show), ask("light", "gel:207@2700"))
        for args, word in ((["palette:lamp oil"], "no show is open"), (["palette:nobody", "--show", show], "nobody"),
                           (["palette:a breath", "--show", show], "no colour"),
                           (["palette:embers", "--show", "none.zelo"], "none.zelo")):
            done = run("light", *args)
            self.assertEqual(done.returncode, 2, args)
            self.assertIn(word, done.stderr)

    def test_tungsten_is_its_own_reference(self):
        light = ask("light", "cct:3200")
        self.assertAlmostEqual(light["cct"], 3200, 0)
        self.assertGreater(light["ra"], 99.5)
        self.assertGreater(light["rf"], 99.5)
        self.assertAlmostEqual(light["ssi"], 100, 0)
        self.assertIn("blackbody", light["ssi_reference"])
        self.assertEqual(len(light["r"]), 14)

    def test_what_means_nothing_is_null(self):
        red = ask("light", "xy:0.69,0.30")
        for name in ("cct", "duv", "ra", "r", "rf", "rg", "ssi", "ssi_reference"):
            self.assertIsNone(red[name], name)


class EveryFixture(unittest.TestCase):
    """Flags, wheels, engines and lamps answer like emitters do."""

    def test_each_type_answers(self):
        types = ask("fixtures")["fixtures"]
        self.assertGreaterEqual(len(types), 12)
        for t in types:
            for mode in t["modes"]:
                m = ask("match", t["id"], "gel:214", "--mode", mode["name"])["matches"][0]
                self.assertGreater(m["brightness_cd"], 0, t["id"])
                self.assertEqual(sum(c["bits"] for c in m["channels"]) // 8, mode["slots"])
                self.assertLess(abs(m["got"]["uv"][0] - m["sent"]["uv"][0]), 0.01)

    def test_flags_and_wheels_are_told_and_pinned(self):
        m = ask("match", "skua-cmy", "gel:324", "--pin", "Warm correction=0.25,Colours=minus green")["matches"][0]
        self.assertIn({"name": "Warm correction", "position": 0.25}, m["filters"])
        self.assertEqual(m["wheels"], [{"name": "Colours", "slot": "Minus green"}])
        self.assertTrue(m["in_reach"])
        bad = run("match", "skua-cmy", "gel:324", "--pin", "Colours=Puce")
        self.assertEqual(bad.returncode, 2)
        self.assertIn("Marigold", bad.stderr)

    def test_an_engine_tells_its_values(self):
        m = ask("match", "whimbrel-4", "cct:3200", "--mode", "CCT tint 16 bit")["matches"][0]
        values = {e["name"]: e["value"] for e in m["engine"]}
        self.assertAlmostEqual(values["CCT"], 3200, delta=2)
        self.assertAlmostEqual(values["Tint"], 0, delta=1e-4)

    def test_several_types_share_a_colour_and_a_brightness(self):
        found = ask("match", "gannet-8", "gel:338", "--with", "dunlin-3", "--with", "skua-cmy", "--common", "--level")
        self.assertEqual([m["fixture"] for m in found["matches"]], ["gannet-8", "dunlin-3", "skua-cmy"])
        together = found["together"][0]
        for m in found["matches"]:
            self.assertAlmostEqual(m["brightness_cd"] * m["dim"], together["brightness_cd"], delta=1e-3)
            self.assertAlmostEqual(m["got"]["uv"][0], together["uv"][0], 4)
        self.assertIn(together["limits"][0], [m["fixture"] for m in found["matches"]])

    def test_trade_off_and_observers(self):
        m = ask("match", "gannet-8", "gel:324", "--trade-off", "--intent", "truest")["matches"][0]
        self.assertGreaterEqual(len(m["trade_off"]["points"]), 16)
        self.assertEqual(m["trade_off"]["of"], "ssi")
        self.assertEqual(len(m["observers"]), 4)
        self.assertLess(m["observers"][0]["miss_uv"], 1e-6)
        self.assertGreater(max(o["miss_uv"] for o in m["observers"]), 1e-4)

    def test_a_way_has_marks_and_keeps_out(self):
        plain = ask("fade", "gannet-8", "gel:104", "gel:346")
        via = ask("fade", "gannet-8", "gel:104", "gel:346", "--via", "gel:508")
        green = ask("light", "gel:508")["uv"]
        near = lambda f: min(abs(p["uv"][0] - green[0]) + abs(p["uv"][1] - green[1]) for p in f["route"])
        self.assertLess(near(via), 0.01)
        self.assertGreater(near(plain), 0.05)
        out = run("fade", "gannet-8", "gel:104", "gel:346", "--via", "gel:508", "--stay-out", "green")
        self.assertIn("stay out of", out.stdout)
        self.assertEqual(run("fade", "gannet-8", "gel:104", "gel:346", "--stay-out", "beige").returncode, 2)
        both = ask("fade", "gannet-8", "gel:214", "gel:303", "--with", "dunlin-3")
        self.assertEqual(both["others"][0]["fixture"], "dunlin-3")
        self.assertAlmostEqual(both["others"][0]["route"][50]["uv"][0], both["route"][50]["uv"][0], 4)


class Match(unittest.TestCase):
    def test_json_is_as_written(self):
        found = ask("match", "gannet-8", "gel:214@3200", "cct:5600")
        self.assertEqual(len(found["matches"]), 2)
        m = found["matches"][0]
        for name in ("colour", "wanted", "in_reach", "miss_uv", "emitters", "channels", "got", "sent", "brightness_cd",
                     "of_brightest", "power_w", "ra", "rf", "rg", "agreement"):
            self.assertIn(name, m)
        self.assertEqual(m["colour"], "gel:214@3200")
        self.assertEqual([c["offset"] for c in m["channels"]], list(range(1, 18, 2)))
        self.assertEqual(m["channels"][0], {"offset": 1, "attribute": "Dimmer", "value": 65535, "bits": 16})
        self.assertAlmostEqual(m["of_brightest"], 0.7, 6)
        self.assertTrue(m["in_reach"] and m["miss_uv"] < 1e-6)
        self.assertGreater(m["power_w"], 10)
        for a, b in zip(m["sent"]["uv"], m["wanted"]["uv"]):
            self.assertAlmostEqual(a, b, 4)

    def test_brightest_is_never_dimmer(self):
        bright = ask("match", "tern-6", "gel:301", "--intent", "brightest")["matches"][0]
        truest = ask("match", "tern-6", "gel:301", "--give-up", "0")["matches"][0]
        self.assertGreaterEqual(bright["brightness_cd"], truest["brightness_cd"] * (1 - 1e-9))

    def test_keep_out_pin_dim_mode(self):
        m = ask("match", "gannet-8", "cct:3200", "--keep-out", "Amber,deep red", "--pin", "Lime=0.4", "--dim", "0.5",
                "--mode", "emitters 8 bit")["matches"][0]
        drives = {e["name"]: e["drive"] for e in m["emitters"]}
        self.assertEqual((drives["Amber"], drives["Deep red"], drives["Lime"]), (0, 0, 0.4))
        self.assertEqual(m["channels"][0]["value"], 128)
        self.assertEqual(m["channels"][0]["bits"], 8)

    def test_a_camera_looks_on(self):
        by = ["match", "gannet-8", "gel:214", "--camera", "fulmar", "--balance", "cct:3200"]
        truest = ask(*by)["matches"][0]
        filmed = ask(*by, "--intent", "filmed")["matches"][0]
        self.assertLess(filmed["cameras"][0]["miss"], truest["cameras"][0]["miss"] / 2)
        self.assertLess(filmed["miss_uv"], 1e-6)
        self.assertEqual(filmed["cameras"][0]["name"], "Fulmar")
        self.assertEqual(max(filmed["cameras"][0]["rgb"]), 1)
        exact = ask(*by, "--intent", "filmed", "--exact-for", "camera")["matches"][0]
        self.assertLess(exact["cameras"][0]["miss"], 1e-6)
        self.assertGreater(exact["miss_uv"], 0)
        both = ask(*by, "--intent", "filmed", "--camera", DATA / "cameras/guillemot.csv")["matches"][0]
        self.assertEqual([c["name"] for c in both["cameras"]], ["Fulmar", "Guillemot"])
        self.assertEqual(ask("match", "gannet-8", "gel:214", "--trade-off", *by[3:], "--intent", "filmed")["matches"][0]
                         ["trade_off"]["of"], "camera miss")
        self.assertIn("leave no room", run("match", "dunlin-3", *by[2:], "--intent", "filmed").stdout)
        self.assertNotIn("cameras", ask("match", "gannet-8", "gel:214")["matches"][0])

    def test_a_camera_that_cannot_be_had_is_told(self):
        for options, word in ((["--intent", "filmed"], "--camera"), (["--exact-for", "camera"], "--camera"),
                              (["--exact-for", "ear", "--camera", "fulmar"], "ear"),
                              (["--camera", "no-such"], "Kittiwake"),
                              (["--camera", "fulmar", "--balance", "cct:100"], "--balance"),
                              (["--camera", "fulmar", "--balance", "tungsten"], "--balance"),
                              (["--camera", DATA / "gels/salt-road.txt"], "salt-road"),
                              (["--camera", "fulmar"] * 4, "4 cameras")):
            done = run("match", "gannet-8", "gel:214", *options)
            self.assertNotEqual(done.returncode, 0, options)
            self.assertIn(word, done.stderr, options)

    def test_out_of_reach_says_so(self):
        m = ask("match", "petrel-4", "xy:0.08,0.55")["matches"][0]
        self.assertFalse(m["in_reach"])
        self.assertGreater(m["miss_uv"], 0.01)
        hue = ask("match", "petrel-4", "xy:0.08,0.55", "--nearest", "hue")["matches"][0]
        self.assertGreaterEqual(hue["miss_uv"], m["miss_uv"] - 1e-9)

    def test_a_fixture_by_path_and_another_book(self):
        m = ask("match", TESTS / "reference/fixtures/Fulmar", "gel:F101@2800", "--book", TESTS / "reference/gels.txt",
                "--intent", "brightest")["matches"][0]
        self.assertAlmostEqual(m["brightness_cd"] / 4142.394756, 1, 2)


class Routes(unittest.TestCase):
    def test_reach(self):
        reach = ask("reach", "gannet-8")
        self.assertEqual(len(reach["emitters"]), 8)
        self.assertEqual(reach["emitters"][1]["name"], "Red")
        self.assertEqual(reach["emitters"][1]["peak_nm"], 634)
        hull = reach["hull_uv"]
        area = sum(a[0] * b[1] - b[0] * a[1] for a, b in zip(hull, hull[1:] + hull[:1]))
        self.assertGreater(area, 0, "counter-clockwise")
        self.assertGreater(dict((w["cct"], w["brightest_cd"]) for w in reach["whites"])[3200], 5000)

    def test_a_fade_round_white(self):
        args = ["fade", "gannet-8", "xy:0.66,0.32", "xy:0.18,0.33", "--white", "cct:5600"]
        levels, around = ask(*args, "--route", "levels"), ask(*args, "--floor", "0.8")
        self.assertGreater(levels["white_dip"], 0.9)
        self.assertLess(around["white_dip"], 0.22)
        self.assertEqual(len(around["route"]), 101)
        first = around["route"][0]
        self.assertEqual(sorted(first), ["brightness_cd", "emitters", "saturation", "t", "uv"])
        self.assertEqual((around["steps"][0]["t"], around["steps"][-1]["t"]), (0, 1))
        self.assertLess(len(around["steps"]), 15)
        self.assertLess(around["worst"]["uv"], 0.008)
        self.assertEqual(around["steps"][0]["channels"][0]["attribute"], "Dimmer")

    def test_sides(self):
        args = ["fade", "tern-6", "gel:104", "gel:341@5600", "--side"]
        uv = {side: ask(*args, side)["route"][50]["uv"] for side in ("cw", "ccw", "short", "long")}
        self.assertNotEqual(uv["cw"], uv["ccw"])
        self.assertIn(uv["short"], (uv["cw"], uv["ccw"]))
        self.assertNotEqual(uv["short"], uv["long"])

    def played(self, show, *presses, until, step=0.5):
        with tempfile.TemporaryDirectory() as folder:
            path = pathlib.Path(folder) / "play.zelo"
            path.write_text(json.dumps(show))
            wishes = [word for press in presses for word in ("--press", press)]
            return ask("play", str(path), *wishes, "--until", str(until), "--step", str(step))["frames"]

    SHOW = {
        "format": "zelochrome-show", "version": 4, "name": "P",
        "fixtures": [{"id": 1, "number": 11, "type": "petrel-4", "address": 1},
                     {"id": 2, "number": 12, "type": "gannet-8", "address": 20, "exempt": True}],
        "looks": [{"id": 1, "name": "rose", "values": [{"fixtures": [1], "intensity": 1, "colour": 1}]}],
        "colours": [{"asked": "gel:214@3200"}, {"asked": "gel:118@3200"}],
        "cue_lists": [{"id": 1, "name": "main", "back_s": 1, "release_s": 2, "cues": [
            {"number": "1", "up_s": 2, "down_s": 2, "values": [{"fixtures": [1, 2], "intensity": 0.8, "colour": 0}]},
            {"number": "2.5", "up_s": 4, "down_s": 4, "values": [{"fixtures": [1], "intensity": 0}]}]}],
        "faders": [{"id": 1, "name": "rose", "look": 1}]}

    def test_playing_a_show(self):
        frames = self.played(self.SHOW, "0 next", "3 list main next", until=7)
        level = {f["t"]: f["lamps"][0]["intensity"] for f in frames}
        for t, wanted in ((0, 0), (0.5, 0.2), (1, 0.4), (2, 0.8), (3, 0.8), (4, 0.6), (5, 0.4), (7, 0)):
            self.assertAlmostEqual(level[t], wanted, 9, t)
        at = frames[2]["lamps"][0]
        wanted = ask("match", "petrel-4", "gel:214@3200")["matches"][0]["wanted"]["uv"]
        for a, b in zip(at["uv"], wanted):
            self.assertAlmostEqual(a, b, 2)
        self.assertEqual((at["number"], at["intensity_from"], at["colour_from"]), (11, "cue 1", "cue 1"))
        self.assertEqual(frames[-1]["lamps"][0]["intensity_from"], "cue 2.5")
        self.assertEqual(frames[-1]["lamps"][1]["intensity_from"], "cue 1")
        self.assertIsNone(frames[-1]["lamps"][0]["uv"])
        self.assertTrue(all(c["value"] == 0 for c in frames[-1]["lamps"][0]["channels"] if c["attribute"].startswith("Dimmer")))

    def test_playing_by_hand(self):
        frames = self.played(self.SHOW, "0 next", "2 fader rose=0.5", "3 hand 11 gel:338", "3 hand 11 0.25", "4 put-down",
                             "4 dark on", "5 dark off", "5 master 0.5", "6 release", until=8)
        first = {f["t"]: f["lamps"][0] for f in frames}
        second = {f["t"]: f["lamps"][1] for f in frames}
        self.assertEqual(first[2.5]["colour_from"], "fader rose")
        self.assertEqual(first[2.5]["intensity_from"], "cue 1")  # 80 % is more than 50 %
        self.assertEqual((first[3]["intensity"], first[3]["intensity_from"], first[3]["colour_from"]), (0.25, "hand", "hand"))
        self.assertEqual((first[4]["intensity"], first[4]["intensity_from"]), (0, "dark"))
        self.assertAlmostEqual(second[4]["intensity"], 0.8)  # exempt
        self.assertAlmostEqual(first[5]["intensity"], 0.4)
        self.assertEqual(first[7]["intensity_from"], "list main, let go")
        self.assertAlmostEqual(first[8]["intensity"], 0.25)
        self.assertEqual(first[8]["intensity_from"], "fader rose")
        lines = run("play", str(DATA / "shows/salt-lanterns.zelo"))
        self.assertIn("standing light", lines.stdout)

    def test_check_of_a_show(self):
        show = json.loads((DATA / "shows/salt-lanterns.zelo").read_text())
        first = len(show["colours"])
        for gel, uv in (("gel:104", [0.4162, 0.5146]), ("gel:338", [0.1399, 0.4791])):
            show["colours"].append({"asked": gel, "uv": uv, "intent": "truest", "give_up": 0.3})
        cue = lambda number, colour, **more: {"number": number, "up_s": 4, "down_s": 4, **more,
                                             "values": [{"fixtures": [1, 2], "intensity": 1, "colour": colour}]}
        cues = [cue("1", first), cue("2", first + 1, way={"kind": "levels"})]
        show["cue_lists"] = [{"id": 1, "name": "main", "back_s": 1, "release_s": 1, "cues": cues}]
        with tempfile.TemporaryDirectory() as folder:
            path = pathlib.Path(folder) / "show.zelo"

            def check():
                path.write_text(json.dumps(show))
                done = run("check", str(path), "--json")
                found = [f for f in json.loads(done.stdout)["findings"] if f["cue"]]
                return done.returncode, found

            code, found = check()
            self.assertEqual(code, 1)
            self.assertEqual([(f["kind"], f["cue"], f["lamps"]) for f in found[:1]], [("fade", "2", [1, 2])])
            self.assertIn("around", found[0]["cures"])
            self.assertTrue(0 <= found[0]["from_s"] < found[0]["to_s"] <= 4)
            self.assertIn("red to cyan", found[0]["what"])
            self.assertIn("cue 2 of 'main', lamps 1, 2: red to cyan", run("check", str(path)).stdout)
            cues[1]["way"] = {"kind": "around"}
            self.assertEqual(check()[1], [])
            show["fixtures"][1]["address"] = show["fixtures"][0]["address"] + 1
            path.write_text(json.dumps(show))
            self.assertIn("share", run("check", str(path)).stdout)
        self.assertEqual(run("check", "/nowhere.zelo").returncode, 2)

    def test_a_kept_gradient(self):
        demo = str(DATA / "shows/salt-lanterns.zelo")
        g = ask("gradient", "--show", demo, "Tide line")
        self.assertEqual([lamp["number"] for lamp in g["lamps"]], list(range(1, 21)))
        self.assertEqual((g["lamps"][0]["position"], g["lamps"][-1]["position"]), (0, 1))
        self.assertGreaterEqual(g["evenness"], 0.9)
        self.assertEqual(len(g["steps"]), 19)
        first = ask("match", "petrel-4", "gel:214@3200")["matches"][0]["wanted"]["uv"]
        for a, b in zip(g["lamps"][0]["uv"], first):
            self.assertAlmostEqual(a, b, 6)
        cyc = ask("gradient", "--show", demo, "Tide line", "--group", "cyc")
        self.assertEqual([lamp["number"] for lamp in cyc["lamps"]], list(range(13, 21)))
        self.assertEqual((cyc["lamps"][0]["position"], cyc["lamps"][-1]["position"]), (0, 1))  # all of it, not a cut
        wall = ask("gradient", "--show", demo, "Ember wall")["lamps"]
        self.assertEqual([lamp["channels"] for lamp in wall], [lamp["channels"] for lamp in reversed(wall)])
        self.assertIn("over 8 lamps", run("gradient", "--show", demo, "Ember wall").stdout)

    def test_a_kept_gradient_for_other_desks(self):
        demo = str(DATA / "shows/salt-lanterns.zelo")
        wall = ask("gradient", "--show", demo, "Ember wall")["lamps"]
        with tempfile.TemporaryDirectory() as folder:
            for name in ("wall.gpl", "wall.csv", "wall.asc"):
                done = run("convert", demo, f"{folder}/{name}", "--gradient", "Ember wall")
                self.assertEqual(done.returncode, 0, done.stderr)
            self.assertEqual(len([l for l in pathlib.Path(f"{folder}/wall.gpl").read_text().splitlines() if "Ember wall 1" in l or "Ember wall 20" in l]), 8)
            rows = list(csv.DictReader(pathlib.Path(f"{folder}/wall.csv").read_text().splitlines()))
            self.assertEqual(len(rows), 8)
            for row, lamp in zip(rows, wall):
                self.assertAlmostEqual(float(row["u'"]), lamp["uv"][0], 7)
                for emitter in lamp["emitters"]:
                    self.assertAlmostEqual(float(row["tern-6 " + emitter["name"]]), emitter["drive"], 6)
            text = pathlib.Path(f"{folder}/wall.asc").read_text()
            show = json.loads(pathlib.Path(demo).read_text())
            lamp = next(f for f in show["fixtures"] if f["number"] == 13)
            address = (lamp["universe"] - 1) * 512 + lamp["address"]
            for channel in wall[0]["channels"]:
                self.assertIn(f"{address + channel['offset'] - 1}@H{channel['value']:02X}", text)
            other = run("convert", demo, f"{folder}/wall.txt", "--gradient", "Ember wall")
            self.assertEqual(other.returncode, 2)
            self.assertIn(".gpl, .csv or a cue (.asc)", other.stderr)

    def test_a_gradient(self):
        g = ask("gradient", "tern-6", "--count", "9", "--stop", "gel:214@3200", "--stop", "gel:341@5600@1", "--arrange", "mirrored")
        self.assertEqual(len(g["lamps"]), 9)
        self.assertGreater(g["evenness"], 0.9)
        self.assertEqual(g["lamps"][0]["uv"], g["lamps"][8]["uv"])
        self.assertEqual(g["lamps"][4]["position"], 1)
        self.assertEqual(len(g["lamps"][0]["emitters"]), 6)
        self.assertEqual(len(g["steps"]), 4)
        g = ask("gradient", "tern-6", "--count", "9", "--stop", "cct:2700", "--stop", "cct:4000@0.8", "--stop", "cct:5000", "--stop", "cct:6500", "--even", "place")
        for at, wanted in zip(g["stops"], (0, 0.8, 0.9, 1)):
            self.assertAlmostEqual(at, wanted)

    def test_for_people(self):
        self.assertIn("white dip", run("fade", "petrel-4", "gel:104", "gel:338").stdout)
        self.assertIn("evenness", run("gradient", "petrel-4", "--count", "3", "--stop", "cct:2700", "--stop", "cct:6500").stdout)
        self.assertIn("3200 K", run("reach", "petrel-4").stdout)


class LongWork(unittest.TestCase):
    def test_progress_is_for_terminals_alone(self):
        args = [BIN / "zelo", "match", "gannet-8", "--intent", "kindest", "--json"] + [f"cct:{k}" for k in range(2500, 6500, 5)]
        quiet = subprocess.run(args, capture_output=True, text=True, timeout=60)
        self.assertEqual(quiet.stderr, "")
        ours, theirs = os.openpty()
        with subprocess.Popen(args, stdout=subprocess.PIPE, stderr=theirs, text=True) as shown:
            out = shown.stdout.read()
        said = os.read(ours, 65536).decode() if select.select([ours], [], [], 0)[0] else ""
        os.close(theirs)
        os.close(ours)
        self.assertIn("of 800", said)
        self.assertEqual(json.loads(out), json.loads(quiet.stdout))


class Lists(unittest.TestCase):
    def test_gels(self):
        self.assertGreaterEqual(len(ask("gels")["gels"]), 150)
        near = ask("gels", "--like", "gel:214")["gels"]
        self.assertEqual(near[0]["id"], "214")
        self.assertEqual(sorted(g["distance_uv"] for g in near), [g["distance_uv"] for g in near])
        spectrum = ask("gels", "--like", "gel:214", "--by", "spectrum")["gels"]
        self.assertEqual(spectrum[0]["id"], "214")
        self.assertEqual(sorted(g["spectral_miss"] for g in spectrum), [g["spectral_miss"] for g in spectrum])
        self.assertEqual(run("gels", "--like", "xy:0.5,0.4", "--by", "spectrum").returncode, 2)

    def test_fixtures(self):
        types = {t["id"]: t for t in ask("fixtures")["fixtures"]}
        self.assertEqual(len(types["gannet-8"]["emitters"]), 8)
        self.assertFalse(types["tern-6"]["modes"][0]["dimmer"])

    def test_for_people(self):
        self.assertIn("Apricot", run("gels").stdout)
        self.assertIn("Gannet 8", run("fixtures").stdout)
        self.assertIn("same", run("match", "gannet-8", "gel:214").stdout)
        self.assertIn("K", run("light", "cct:3200").stdout)


class Convert(unittest.TestCase):
    def test_spectra_and_books_there_and_back(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            lamp = TESTS / "reference/spectra/led-amber.csv"
            self.assertEqual(run("convert", lamp, folder / "a.spdx").returncode, 0)
            self.assertEqual(run("convert", folder / "a.spdx", folder / "a.sp").returncode, 0)
            before, after = ask("light", f"spd:{lamp}"), ask("light", f"spd:{folder / 'a.sp'}")
            for a, b in zip(before["uv"], after["uv"]):
                self.assertAlmostEqual(a, b, 7)
            self.assertEqual(run("convert", DATA / "gels/salt-road.txt", folder / "book.csv").returncode, 0)
            again = ask("gels", "--book", folder / "book.csv", "--like", "gel:214")["gels"]
            self.assertLess(again[0]["distance_uv"], 1e-5)

    def test_fixture_types_there_and_back(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            for t in ("skua-cmy", "whimbrel-4", "eider-scroll"):
                archive = folder / f"{t}.gdtf"
                self.assertEqual(run("convert", DATA / "fixtures" / t, archive).returncode, 0)
                self.assertEqual(run("convert", archive, folder / t).returncode, 0)
                before = ask("match", t, "gel:214")["matches"][0]
                after = ask("match", folder / t, "gel:214")["matches"][0]
                self.assertEqual(before["channels"], after["channels"])
            self.assertEqual(run("convert", archive, folder / "x.csv").returncode, 2)

    def test_rigs_and_shows(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            demo = DATA / "shows/salt-lanterns.zelo"
            self.assertEqual(run("convert", demo, folder / "rig.mvr").returncode, 0)
            self.assertEqual(run("convert", folder / "rig.mvr", folder / "rig.zelo").returncode, 0)
            before, after = json.loads(demo.read_text()), json.loads((folder / "rig.zelo").read_text())
            self.assertEqual(after["name"], "rig")
            for a, b in zip(before["fixtures"], after["fixtures"], strict=True):
                for key in ("number", "type", "mode", "universe", "address"):
                    self.assertEqual(a[key], b[key])
            # The show's own types go along, before shipped ones of the same id.
            show = json.loads((TESTS / "second-format.zelo").read_text())
            own = next(t for t in show["types"] if t["id"] == "my-tern")
            show["types"].append({"id": "petrel-4", "gdtf": own["gdtf"]})
            show["fixtures"][12]["type"] = "my-tern"
            (folder / "own.zelo").write_text(json.dumps(show))
            self.assertEqual(run("convert", folder / "own.zelo", folder / "own.mvr").returncode, 0)
            back = run("convert", folder / "own.mvr", folder / "back.zelo")
            self.assertEqual(back.returncode, 0)
            self.assertNotIn("not in the library", back.stderr)
            types = {t["id"]: t["gdtf"] for t in json.loads((folder / "back.zelo").read_text())["types"]}
            self.assertIn("my-tern", types)
            petrel = zipfile.ZipFile(io.BytesIO(base64.b64decode(types["petrel-4"])))
            self.assertIn(b"Tern", petrel.read("description.xml"))
            self.assertEqual(run("convert", folder / "rig.mvr", folder / "rig.csv").returncode, 2)
            (folder / "no.mvr").write_text("no")
            self.assertIn("not an MVR archive", run("convert", folder / "no.mvr", folder / "x.zelo").stderr)
            self.assertFalse((folder / "x.zelo").exists())

    def test_a_cue_list_for_another_desk_and_for_people(self):
        demo = DATA / "shows/salt-lanterns.zelo"
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            done = run("convert", demo, folder / "tide.asc")
            self.assertEqual(done.returncode, 0, done.stderr)
            self.assertIn("steps of a fade", done.stderr)
            self.assertEqual(run("convert", folder / "tide.asc", folder / "back.asc").returncode, 0)
            text = (folder / "tide.asc").read_text()
            numbers = re.findall(r"(?im)^cue\s+([0-9.]+)", text)
            self.assertEqual(len(numbers), len(set(numbers)))
            self.assertLess({"1", "7.5", "18", "30"}, set(numbers))
            self.assertEqual(run("convert", demo, folder / "tide.csv", "--list", "The Salt Lanterns").returncode, 0)
            with open(folder / "tide.csv", newline="") as sheet:
                rows = list(csv.DictReader(sheet))
            self.assertEqual(len(rows), 31)
            self.assertEqual((rows[0]["name"], rows[0]["up_s"]), ("Preset, dusk", "5"))
            self.assertEqual(run("convert", demo, folder / "x.csv", "--list", "nobody's").returncode, 2)
            self.assertEqual(run("convert", demo, folder / "x.doc").returncode, 2)
            self.assertFalse((folder / "x.csv").exists())

    def test_cues_of_another_desk_become_a_show(self):
        demo = DATA / "shows/salt-lanterns.zelo"
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            (folder / "theirs.asc").write_text("Ident 3:0\nCue 4\n Text Dawn\n Up 2.5\n $$Wobble 3\n Chan 1@HFF 2@H80\nENDDATA\n")
            done = run("convert", folder / "theirs.asc", folder / "new.zelo", "--rig", demo)
            self.assertEqual(done.returncode, 0, done.stderr)
            show = json.loads((folder / "new.zelo").read_text())
            theirs = next(l for l in show["cue_lists"] if l["name"] == "theirs")
            self.assertEqual((theirs["cues"][0]["number"], theirs["cues"][0]["name"], theirs["cues"][0]["up_s"]), ("4", "Dawn", 2.5))
            self.assertIn("$$Wobble 3", theirs["cues"][0]["note"])
            self.assertEqual(len(show["cue_lists"]), 2)
            played = run("play", folder / "new.zelo", "--press", "0 list theirs next", "--until", "3", "--step", "1", "--json")
            last = json.loads(played.stdout)["frames"][-1]["lamps"][0]
            self.assertEqual((last["intensity"], last["intensity_from"]), (1, "cue 4"))
            for args, told in (((folder / "theirs.asc", folder / "x.zelo"), "--rig SHOW"),
                               ((folder / "theirs.asc", folder / "x.mvr"), "with --rig a show"),
                               ((folder / "theirs.asc", folder / "x.zelo", "--rig", folder / "none.zelo"), "none.zelo")):
                done = run("convert", *args)
                self.assertEqual(done.returncode, 2)
                self.assertIn(told, done.stderr)

    def test_a_ripple_as_a_table(self):
        demo = DATA / "shows/salt-lanterns.zelo"
        turn = json.loads(run("ripple", demo, "Tide lanterns", "--step", "0.4", "--json").stdout)
        self.assertAlmostEqual(turn["turn_s"], 4.8)
        first, last = turn["moments"][0]["lamps"], turn["moments"][-1]["lamps"]
        self.assertEqual(len(first), 12)
        for a, b in zip(first, last):  # the turn comes round
            for x, y in zip(a["uv"], b["uv"]):
                self.assertAlmostEqual(x, y, 6)
        table = run("ripple", demo, "Beacon", "--csv", "--at", "0.3", "--at", "2").stdout.splitlines()
        self.assertEqual(table[0], "t_s,lamp,u,v")
        self.assertEqual(len(table), 1 + 2 * 6)
        self.assertIn("no ripple 'Tide'", run("ripple", demo, "Tide").stderr)
        with tempfile.TemporaryDirectory() as folder:
            cues, levels = pathlib.Path(folder) / "turn.asc", pathlib.Path(folder) / "turn.csv"
            told = run("ripple", demo, "Procession", "--turn", cues)
            self.assertEqual(told.returncode, 0)
            self.assertEqual(cues.read_text().count("\nCue "), int(told.stdout.split()[0]))
            run("ripple", demo, "Procession", "--turn", levels)
            rows = levels.read_text().splitlines()
            self.assertEqual(len(rows), 1 + int(told.stdout.split()[0]))
            loose = run("ripple", demo, "Procession", "--turn", cues, "--tolerance", "0.05")
            self.assertLess(int(loose.stdout.split()[0]), int(told.stdout.split()[0]))
            self.assertIn("/no/such/turn.asc", run("ripple", demo, "Beacon", "--turn", "/no/such/turn.asc").stderr)
        self.assertEqual(run("ripple", demo, "Beacon", "--step", "0").returncode, 2)
        played = json.loads(run("play", demo, "--press", "0 start Tide lanterns", "--until", "1", "--step", "0.5", "--json").stdout)
        self.assertEqual(played["frames"][-1]["lamps"][0]["colour_from"], "ripple Tide lanterns")

    def test_sheets_of_a_show(self):
        demo = DATA / "shows/salt-lanterns.zelo"
        with tempfile.TemporaryDirectory() as name:
            path = pathlib.Path(name) / "sheet.csv"
            for sheet, column, count in (("patch", "universe", 40), ("colours", "cct_k", 0), ("cues", "up_s", 31)):
                self.assertEqual(run("convert", demo, path, "--sheet", sheet).returncode, 0)
                with open(path, newline="") as table:
                    rows = list(csv.DictReader(table))
                self.assertIn(column, rows[0])
                self.assertGreaterEqual(len(rows), count)
            self.assertEqual(run("convert", demo, path.with_suffix(".asc"), "--sheet", "patch").returncode, 2)

    def test_the_check_of_what_is_handed_over(self):
        done = run("check", DATA / "shows/salt-lanterns.zelo", "--handed-over", "--json")
        findings = json.loads(done.stdout)["findings"]
        self.assertEqual(done.returncode, 1 if findings else 0)
        self.assertTrue(all(f["kind"] == "fade" and f["cue"] for f in findings))
        self.assertIn("13", {f["cue"] for f in findings})  # it goes by levels, as asked for
        self.assertNotIn("18", {f["cue"] for f in findings})  # its route goes over as steps

    def test_a_time_of_day_and_a_lock_at_play(self):
        show = json.loads((DATA / "shows/salt-lanterns.zelo").read_text())
        lamps = [{"fixtures": [1], "intensity": level} for level in (0.25, 0.75)]
        show["cue_lists"] = [{"id": 1, "name": "main", "back_s": 1, "release_s": 1, "cues": [
            {"number": "1", "up_s": 0, "down_s": 0, "follow": "time of day", "follow_s": 70200, "values": lamps[:1]},
            {"number": "2", "up_s": 0, "down_s": 0, "values": lamps[1:]}]}]
        show["locked"] = [{"fixtures": [2], "intensity": 0.5, "parts": {"Red": 1}}]
        with tempfile.TemporaryDirectory() as name:
            path = pathlib.Path(name) / "day.zelo"
            path.write_text(json.dumps(show))
            presses = [x for p in ("0 day 19:29:55", "0 next", "6 master 0.1") for x in ("--press", p)]
            done = run("play", path, *presses, "--until", "6", "--step", "1", "--json")
            self.assertEqual(done.returncode, 0, done.stderr)
            frames = json.loads(done.stdout)["frames"]
            self.assertEqual([f["lamps"][0]["intensity"] for f in frames[:6]], [0.25] * 5 + [0.75])
            self.assertEqual((frames[-1]["lamps"][1]["intensity"], frames[-1]["lamps"][1]["intensity_from"]), (0.5, "locked"))
            self.assertIn("day H:MM", run("play", path, "--press", "0 day 25:00").stderr)

    def test_a_route_as_cues_for_another_desk(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            plan = ask("fade", "petrel-4", "gel:104", "gel:338", "--cues", folder / "way.asc", "--time", 12)
            self.assertEqual(run("convert", folder / "way.asc", folder / "way.csv").returncode, 0)
            rows = (folder / "way.csv").read_text().splitlines()
            self.assertEqual(len(rows), 1 + len(plan["steps"]))
            total = sum(float(r.split('"')[4].split(",")[1]) for r in rows[1:])
            self.assertAlmostEqual(total, 12, 2)
            last = [float(x) for x in rows[-1].split(",")[-5:]]
            for level, channel in zip(last, plan["steps"][-1]["channels"], strict=True):
                self.assertAlmostEqual(level, 100 * channel["value"] / 255, delta=0.06)
            self.assertEqual(run("fade", "petrel-4", "gel:104", "gel:338", "--cues", "x.txt").returncode, 2)
            self.assertEqual(run("fade", "petrel-4", "gel:104", "gel:338", "--cues", folder / "y.asc", "--time", 0).returncode, 2)

    def test_palettes(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            book = DATA / "gels/salt-road.txt"
            done = run("convert", book, folder / "all.gpl")
            self.assertEqual(done.returncode, 0)
            self.assertIn("beyond sRGB", done.stderr)
            self.assertEqual(run("convert", folder / "all.gpl", folder / "all.csv").returncode, 0)
            rows = (folder / "all.csv").read_text().splitlines()
            self.assertTrue(rows[0].startswith("name,u',v',cct,duv"))
            self.assertEqual(len(rows), 1 + len(ask("gels")["gels"]))
            (folder / "bad.gpl").write_text("GIMP Palette\n300 0 0 Red\n")
            bad = run("convert", folder / "bad.gpl", folder / "b.csv")
            self.assertEqual(bad.returncode, 2)
            self.assertIn("line 2", bad.stderr)
            self.assertFalse((folder / "b.csv").exists())

    def test_what_cannot_be_leaves_no_file(self):
        with tempfile.TemporaryDirectory() as name:
            out = pathlib.Path(name) / "x.spdx"
            done = run("convert", DATA / "gels/salt-road.txt", out)
            self.assertEqual(done.returncode, 2)
            self.assertIn("one light", done.stderr)
            self.assertEqual(list(pathlib.Path(name).iterdir()), [])
            self.assertIn(".csv", run("convert", DATA / "gels/salt-road.txt", "x.doc").stderr)
            self.assertEqual(run("convert", "/nowhere.csv", out).returncode, 2)

    def test_json_tells_what_was_read_and_written(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            told = lambda *args: json.loads(run("convert", *args, "--json").stdout)
            book = told(DATA / "gels/salt-road.txt", folder / "b.csv")
            self.assertEqual((book["read"]["kind"], book["read"]["gels"]), ("swatch book", len(ask("gels")["gels"])))
            self.assertEqual(book["written"]["bytes"], (folder / "b.csv").stat().st_size)
            self.assertEqual(book["notes"], [])
            show = told(DATA / "shows/salt-lanterns.zelo", folder / "rig.mvr")
            self.assertEqual((show["read"]["kind"], show["read"]["fixtures"]), ("show", 40))
            rig = told(folder / "rig.mvr", folder / "rig.zelo")
            self.assertEqual((rig["read"]["kind"], rig["read"]["fixtures"]), ("rig", 40))


class Names(unittest.TestCase):
    def test_control_characters_of_files_never_reach_the_terminal(self):
        with tempfile.TemporaryDirectory() as folder:
            book = pathlib.Path(folder) / "book.csv"
            book.write_bytes("id,name,400,500,600,700\n1,Red\x1b[2J\x07\u009b31m,0.1,0.1,0.9,0.9\n".encode())
            listed = run("gels", "--book", book)
            self.assertEqual(listed.returncode, 0, listed.stderr)
            self.assertIn("Red", listed.stdout)
            for bad in ("\x1b", "\x07", "\u009b"):
                self.assertNotIn(bad, listed.stdout)


class WrongInput(unittest.TestCase):
    def test_one_clear_line_and_exit_2(self):
        for args, says in [
            (["light", "gel:99999"], "no gel 99999"), (["light", "blue"], "a colour begins with"),
            (["light"], "required"), (["lights", "cct:3200"], ""), ([], ""),
            (["match", "nothing", "cct:3200"], "gannet-8"), (["match", "petrel-4"], "required"),
            (["match", "petrel-4", "cct:3200", "--mode", "x"], "emitters 8 bit"),
            (["match", "petrel-4", "cct:3200", "--give-up", "1.5"], "0..1"),
            (["match", "petrel-4", "cct:3200", "--intent", "best"], "brightest"),
            (["match", "petrel-4", "cct:3200", "--keep-out", "Mint"], "Red, Green, Blue, White"),
            (["match", "petrel-4", "cct:3200", "--pin", "Red"], "EMITTER=DRIVE"),
            (["match", "petrel-4", "cct:3200", "--pin", "Green=0.1,Red=2"], "--pin Red=2: a drive must be within 0..1"),
            (["match", "petrel-4", "xy:0.01,0.01"], "xy:0.01,0.01: no light has this chromaticity"),
            (["match", "petrel-4", "gel:no-such-gel@3200"], "gel:no-such-gel@3200: no gel no-such-gel"),
            (["match", "petrel-4", "spd:"], "'spd:': expected a name behind it"),
            (["match", "petrel-4", "palette:"], "'palette:': expected a name behind it"),
            (["frobnicate"], "frobnicate: no such command: expected one of light"),
            (["frobnicate", "cct:3200", "--json"], "frobnicate: no such command"),
            (["match", "petrel-4", "cct:3200", "--dim", "-1"], "0..1"),
            (["match", "petrel-4", "cct:3200", "--nearest", "near"], "uv or hue"),
            (["match", TESTS / "reference/gels.txt", "cct:3200"], "GDTF"),
            (["fade", "petrel-4", "cct:3200", "gel:104", "--route", "x"], "around"),
            (["fade", "petrel-4", "cct:3200", "gel:104", "--floor", "2"], "floor 2"),
            (["fade", "petrel-4", "cct:3200", "gel:104", "--white", "xy:0.7,0.29"], "white point"),
            (["fade", "petrel-4", "cct:3200", "gel:104", "--samples", "1"], "samples"),
            (["gradient", "petrel-4", "--count", "3", "--stop", "cct:3200"], "two"),
            (["gradient", "--show", str(DATA / "shows/salt-lanterns.zelo"), "Tide"], "there is: Tide line, Ember wall"),
            (["gradient", "--show", str(DATA / "shows/salt-lanterns.zelo"), "Tide line", "--group", "roof"], "--group roof"),
            (["play", str(DATA / "shows/salt-lanterns.zelo"), "--press", "0 list nobody's next"], "no cue list"),
            (["play", str(DATA / "shows/salt-lanterns.zelo"), "--press", "soon next"], "a time in seconds"),
            (["play", str(DATA / "shows/salt-lanterns.zelo"), "--press", "0 leap"], "expected next, back"),
            (["play", str(DATA / "shows/salt-lanterns.zelo"), "--press", "0 fader a=2"], "NAME=0..1"),
            (["play", str(DATA / "shows/salt-lanterns.zelo"), "--press", "0 hand 99 0.5"], "no lamp 99"),
            (["play", str(DATA / "shows/salt-lanterns.zelo"), "--until", "1e9"], "--until"),
            (["gradient", "petrel-4", "--count", "0", "--stop", "cct:3200", "--stop", "gel:104"], "--count 0"),
            (["gradient", "petrel-4", "--count", "3", "--stop", "cct:3200", "--stop", "gel:1o4"], "no gel 1o4"),
            (["gradient", "petrel-4", "--count", "3", "--stop", "cct:3200", "--stop", "gel:104", "--arrange", "x"], "mirrored"),
            (["gels", "--book", "/nowhere.txt"], "/nowhere.txt"), (["help", "nothing"], "no command"),
        ]:
            done = run(*args)
            self.assertEqual(done.returncode, 2, args)
            self.assertIn(says, done.stderr + done.stdout, args)
            self.assertNotIn("terminate", done.stderr)

    def test_help(self):
        self.assertEqual(run("help", "match").returncode, 0)
        self.assertIn("--keep-out", run("help", "match").stdout)
        self.assertEqual(run("--version").stdout.split()[0], "zelo")

    COMMANDS = ("light", "reach", "match", "gradient", "fade", "play", "gels", "fixtures", "convert")

    def test_the_manual_page_knows_every_command(self):
        man = run("help", "--man").stdout
        for command in self.COMMANDS:
            self.assertIn(f".SS zelo {command}", man)
        self.assertIn("\\-\\-stay\\-out", man)
        for program in ("zelochrome", "zelo-rig"):
            page = subprocess.run([BIN / program, "--man"], capture_output=True, text=True)
            self.assertEqual(page.returncode, 0, page.stderr)
            self.assertIn("\\-\\-demo", page.stdout)
            self.assertNotIn("completion", page.stdout)
            shown = subprocess.run(["man", "--warnings", "-E", "UTF-8", "-l", "-Tutf8", "-"], input=page.stdout,
                                   capture_output=True, text=True, env={**os.environ, "MANWIDTH": "80"})
            self.assertEqual((shown.returncode, shown.stderr), (0, ""))

    def test_bash_completes(self):
        completion = run("help", "--completion", "bash").stdout
        for line, wanted in (("ma", "match"), ("fade --st", "--stay-out"), ("match --intent fil", "filmed")):
            words = ["zelo", *line.split()]
            ask = completion + f'\nCOMP_WORDS=({" ".join(words)}) COMP_CWORD={len(words) - 1}; _zelo; echo "${{COMPREPLY[@]}}"'
            self.assertEqual(subprocess.run(["bash", "-c", ask], capture_output=True, text=True).stdout.strip(), wanted)
        rig = subprocess.run([BIN / "zelo-rig", "--completion", "bash"], capture_output=True, text=True).stdout
        ask = rig + '\nCOMP_WORDS=(zelo-rig --hea) COMP_CWORD=1; _zelo_rig; echo "${COMPREPLY[@]}"'
        self.assertEqual(subprocess.run(["bash", "-c", ask], capture_output=True, text=True).stdout.strip(), "--headless")

    def test_fish_completes(self):
        with tempfile.TemporaryDirectory() as home:
            env = {**os.environ, "HOME": home, "PATH": f"{BIN}:{os.environ['PATH']}"}
            (pathlib.Path(home) / "c.fish").write_text(run("help", "--completion", "fish").stdout)
            for line, wanted in (("ma", "match"), ("fade --st", "--stay-out"), ("match --intent fil", "filmed"),
                                 ("match gannet", "gannet-8")):
                got = subprocess.run(["fish", "-N", "-c", f"source {home}/c.fish; complete -C 'zelo {line}'"],
                                     capture_output=True, text=True, env=env)
                self.assertEqual(got.stderr, "")
                self.assertIn(wanted, [row.split("\t")[0] for row in got.stdout.splitlines()])

    def test_zsh_takes_the_completions(self):
        for program, ask in (("zelo", ["help"]), ("zelochrome", []), ("zelo-rig", [])):
            text = subprocess.run([BIN / program, *ask, "--completion", "zsh"], capture_output=True, text=True).stdout
            # what the completion would hand to the shell's own helpers
            script = ("_arguments() { print -l -- $@ }; _describe() { print -l -- ${(P)2} }\n"
                      f"words=({program} ma) CURRENT=2\n" + text)
            got = subprocess.run(["zsh", "-f", "-c", script], capture_output=True, text=True)
            self.assertEqual(got.stderr, "")
            self.assertIn("match:" if program == "zelo" else "--demo[", got.stdout)
        script = ("_arguments() { print -l -- $@ }\nwords=(zelo match --) CURRENT=3\n" +
                  run("help", "--completion", "zsh").stdout)
        got = subprocess.run(["zsh", "-f", "-c", script], capture_output=True, text=True)
        self.assertIn(":value:(brightest truest kindest leanest filmed)", got.stdout)


class Programs(unittest.TestCase):
    def test_the_next_start_is_as_the_settings_say(self):
        def started(settings, *arguments):
            with tempfile.TemporaryDirectory() as folder:
                config = pathlib.Path(folder) / "config/zelochrome"
                config.mkdir(parents=True)
                (config / "zelochrome.conf").write_text(settings)
                env = dict(os.environ, XDG_CONFIG_HOME=str(config.parent), XDG_STATE_HOME=folder,
                           QT_QPA_PLATFORM="offscreen")
                program = subprocess.Popen([BIN / "zelochrome", "--port", "15771", "--art-port", "16771", *arguments],
                                           env=env, stderr=subprocess.DEVNULL)
                try:
                    for _ in range(400):
                        for log in pathlib.Path(folder).rglob("*log*"):
                            told = log.is_file() and re.search(r"first picture after \d+ ms of (\d+ lamps, \w+)",
                                                               log.read_text())
                            if told:
                                return told.group(1)
                        time.sleep(0.05)
                finally:
                    program.terminate()
                    program.wait(20)
                    self.kept = (config / "zelochrome.conf").read_text()
            return "nothing"

        self.assertEqual(started(""), "40 lamps, dark")
        self.assertIn("tour_step=0", self.kept)  # the tour has begun
        self.assertEqual(started("[look]\ndesk_theme=true\n[start]\nwith=2\n"), "0 lamps, light")
        self.assertNotIn("tour_step", self.kept)  # without the demo there is nothing to show
        self.assertEqual(started("[start]\nwith=1\n", "--theme", "desk"), "40 lamps, light")

    def test_no_display_is_one_line(self):
        for program in ("zelochrome", "zelo-rig"):
            args = [] if program == "zelo-rig" else ["--demo"]
            done = run(*args, program=program)  # before any port is asked for: the program may be open
            self.assertEqual(done.returncode, 1)
            self.assertEqual(done.stderr.count("\n"), 1, done.stderr)
            self.assertIn("no display", done.stderr)

    def test_a_broken_show_is_told_with_its_place(self):
        with tempfile.TemporaryDirectory() as folder:
            show = pathlib.Path(folder) / "bad.zelo"
            show.write_text('{"format": "zelochrome-show", "version": 1, "fixtures": [{"id": 1, "type": "x", "address": 0}]}')
            for program, args in (("zelochrome", [show, "--shot", pathlib.Path(folder) / "x.png"]),
                                  ("zelo-rig", ["--headless", "--show", show])):
                done = run(*args, program=program)
                self.assertEqual(done.returncode, 2, program)
                self.assertIn("bad.zelo, fixtures[0].address", done.stderr)

    def test_what_a_file_manager_hands_over_is_opened(self):
        with tempfile.TemporaryDirectory() as folder:
            at = pathlib.Path(folder)
            self.assertEqual(run("convert", DATA / "shows/salt-lanterns.zelo", at / "rig.mvr").returncode, 0)
            with zipfile.ZipFile(at / "type.gdtf", "w") as archive:
                for part in sorted((DATA / "fixtures/gannet-8").rglob("*")):
                    archive.write(part, part.relative_to(DATA / "fixtures/gannet-8"))
            pictures = {}
            for file in ("rig.mvr", "type.gdtf"):
                done = run(at / file, "--shot", at / "x.png", program="zelochrome")
                self.assertEqual(done.returncode, 0, done.stderr)
                pictures[file] = (at / "x.png").read_bytes()
            self.assertGreater(len(pictures["rig.mvr"]), len(pictures["type.gdtf"]), "a plan full of lamps")
            done = run(at / "none.mvr", "--shot", at / "x.png", program="zelochrome")
            self.assertEqual(done.returncode, 2)
            self.assertIn("none.mvr: cannot be read", done.stderr)

    def test_a_shot_needs_no_display(self):
        with tempfile.TemporaryDirectory() as folder:
            shot = pathlib.Path(folder) / "shot.png"
            done = run("--demo", "--shot", shot, program="zelochrome")
            self.assertEqual(done.returncode, 0, done.stderr)
            self.assertEqual(shot.read_bytes()[:8], b"\x89PNG\r\n\x1a\n")

    def test_the_rig_answers_art_net_with_forty_devices(self):
        rig = subprocess.Popen([BIN / "zelo-rig", "--headless", "--port", "0", "--art-port", "0", "--meter-port", "0"],
                               stderr=subprocess.PIPE, stdout=subprocess.DEVNULL, text=True)
        try:
            port = int(rig.stderr.readline().split("Art-Net on ")[1].split(",")[0])
            with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as ask:
                ask.settimeout(5)
                ask.sendto(b"Art-Net\0" + bytes([0, 0x20, 0, 14, 0, 0]), ("127.0.0.1", port))
                reply = ask.recv(2048)
                self.assertEqual(len(reply), 239)
                ports = [(reply[18] << 8) | (reply[19] << 4) | reply[190 + i] for i in range(reply[173])]
                self.assertEqual(ports, [0, 1])
                uids = []
                for address in ports:
                    ask.sendto(b"Art-Net\0" + bytes([0, 0x80, 0, 14] + [0] * 9 + [address >> 8, 0, 1, address & 255]),
                               ("127.0.0.1", port))
                    total = None
                    found = []
                    while total is None or len(found) < total:
                        table = ask.recv(2048)
                        total = table[24] << 8 | table[25]
                        found += [table[28 + 6 * i:34 + 6 * i] for i in range(table[27])]
                    uids += found
                self.assertEqual(len(uids), 40)
                self.assertEqual(len(set(uids)), 39, "two share one identity")
        finally:
            rig.send_signal(signal.SIGTERM)
            rig.communicate(timeout=5)

    def start(self, folder, *args, port=None):
        """The program in a window that nobody sees, with settings and state of its own; and its ports."""
        with contextlib.ExitStack() as held:
            ports = []
            for kind in (socket.SOCK_DGRAM, socket.SOCK_DGRAM, socket.SOCK_STREAM):
                one = held.enter_context(socket.socket(socket.AF_INET, kind))
                one.bind(("127.0.0.1", 0))
                ports.append(one.getsockname()[1])
        if port:
            ports[0] = port
        env = dict(os.environ, QT_QPA_PLATFORM="offscreen", XDG_CONFIG_HOME=str(folder / "config"),
                   XDG_STATE_HOME=str(folder / "state"), XDG_RUNTIME_DIR=str(folder))
        env.setdefault("DISPLAY", ":none")
        for name, port in zip(("--port", "--art-port", "--meter-port"), ports):
            args += (name, str(port))
        return subprocess.Popen([BIN / "zelochrome", *map(str, args)], env=env, stderr=subprocess.PIPE,
                                stdout=subprocess.PIPE, text=True), ports

    def wait_for(self, there, seconds=20):
        end = time.monotonic() + seconds
        while not there() and time.monotonic() < end:
            time.sleep(0.02)
        self.assertTrue(there())

    def test_told_to_end_it_ends_its_streams_and_keeps_the_work(self):
        for which in (signal.SIGTERM, signal.SIGINT):
            with tempfile.TemporaryDirectory() as name:
                folder = pathlib.Path(name)
                with listening() as (stage, port):
                    program, _ = self.start(folder, "--demo", "--pick", "gel:338", port=port)
                    unsaved = folder / "state/zelochrome/unsaved"
                    self.wait_for(lambda: list(unsaved.glob("*.unsaved")))
                    stage.recv(2048)
                    program.send_signal(which)
                    ended = 0
                    try:
                        while ended < 6:  # three for each of two universes
                            ended += stage.recv(2048)[112] >> 6 & 1
                    except TimeoutError:
                        pass
                    self.assertEqual(ended, 6)
                program.communicate(timeout=10)
                self.assertEqual(program.returncode, 0)
                left = list(unsaved.glob("*.unsaved"))
                self.assertEqual(len(left), 1)
                head, show = left[0].read_text().split("\n", 1)
                self.assertEqual(json.loads(head)["name"], "The Salt Lanterns")
                self.assertIn("gel:338", json.loads(show)["colours"][-1]["asked"])
                self.assertIn("told to end", (folder / "state/zelochrome/log/zelochrome.log").read_text())

    def test_the_practice_rig_ends_with_its_program_however_that_ends(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            program, ports = self.start(folder, "--demo", "--rig")

            def free():
                with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as one:
                    try:
                        one.bind(("127.0.0.1", ports[0]))
                        return True
                    except OSError:
                        return False

            self.wait_for(lambda: not free())
            program.kill()
            program.communicate(timeout=10)
            self.wait_for(free)

    def test_two_programs_at_once_are_two_on_the_network(self):
        with tempfile.TemporaryDirectory() as name:
            folder = pathlib.Path(name)
            with listening() as (stage, port):
                one, _ = self.start(folder, "--demo", port=port)
                cids = {stage.recv(2048)[22:38]}
                two, _ = self.start(folder, "--demo", port=port)
                end = time.monotonic() + 20
                while len(cids) < 2 and time.monotonic() < end:
                    cids.add(stage.recv(2048)[22:38])
                for program in (one, two):
                    program.terminate()
                    program.communicate(timeout=10)
                self.assertEqual(len(cids), 2)
                again, _ = self.start(folder, "--demo", port=port)
                time.sleep(0.2)
                packet = stage.recv(2048)
                while packet[112] >> 6 & 1:  # the last ones of the two
                    packet = stage.recv(2048)
                self.assertIn(packet[22:38], cids, "alone it has the one of this installation")
                again.terminate()
                again.communicate(timeout=10)

    def test_a_log_level_is_checked(self):
        with tempfile.TemporaryDirectory() as name:
            program, _ = self.start(pathlib.Path(name), "--demo", "--log-level", "loud")
            _, said = program.communicate(timeout=20)
            self.assertEqual(program.returncode, 2)
            self.assertIn("'loud': expected debug, info, warning or error", said)

    def test_the_rig_listens_and_ends_when_told(self):
        rig = subprocess.Popen([BIN / "zelo-rig", "--headless", "--watch", "--port", "0", "--art-port", "0", "--meter-port", "0"], stderr=subprocess.PIPE,
                               stdout=subprocess.PIPE, text=True)
        self.assertIn("listening on 127.0.0.1:", rig.stderr.readline())
        rig.send_signal(signal.SIGTERM)
        rig.communicate(timeout=5)
        self.assertEqual(rig.returncode, 0)


if __name__ == "__main__":
    unittest.main(argv=sys.argv[:1])
