#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-or-later
"""Nothing that is compiled knows the folder it is built in or the time of the day, but for one file:
so one clone takes from the compiler's cache what another had built. build_test.py BUILD SOURCE"""
import json
import pathlib
import re
import sys
import unittest

BUILD, SOURCE = (pathlib.Path(a).resolve() for a in sys.argv[1:3])


class EveryClone(unittest.TestCase):
    def test_builds_from_the_same_words(self):
        told = set()
        commands = json.loads((BUILD / "compile_commands.json").read_text())
        self.assertGreater(len(commands), 300)
        for one in commands:
            defines = re.findall(r"""-D(?:[^\s"'\\]|\\.|"[^"]*"|'[^']*')+""", one["command"])
            told.update((one["file"], d) for d in defines if str(SOURCE) in d)
        self.assertEqual(sorted(told)[:5], [])

    def test_carries_no_time_of_the_day(self):
        made = (BUILD / "src/desk/qrc_translations.cpp").read_text()
        self.assertIn("int version = 1;", made, "resources have the times of files from 2 on")


if __name__ == "__main__":
    unittest.main(argv=sys.argv[:1])
