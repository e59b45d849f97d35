#!/usr/bin/env python3
"""The data that ship are what their programs make, and nothing in them is left to chance.

    data_test.py SOURCE_FOLDER
"""
import json
import pathlib
import re
import subprocess
import sys
import tempfile
import unittest

ROOT = pathlib.Path(sys.argv[1])


def made(tool, *names):
    """Runs a tool into an empty folder; its files by name."""
    with tempfile.TemporaryDirectory() as folder:
        target = pathlib.Path(folder) / names[0] if names else folder
        subprocess.run([sys.executable, ROOT / "tools" / tool, target], check=True, cwd=ROOT)
        return {p.relative_to(folder).as_posix(): p.read_bytes() for p in pathlib.Path(folder).rglob("*") if p.is_file()}


class MadeByTheirPrograms(unittest.TestCase):
    def test_the_swatch_book(self):
        book = made("make_gels.py", "salt-road.txt")["salt-road.txt"]
        self.assertEqual(book, (ROOT / "data/gels/salt-road.txt").read_bytes())

    def test_the_fixture_types(self):
        for name, text in made("make_fixtures.py").items():
            self.assertEqual(text, (ROOT / "data/fixtures" / name).read_bytes(), name)

    def test_skin_and_cloth(self):
        table = made("make_surfaces.py", "skin-and-cloth.csv")["skin-and-cloth.csv"]
        self.assertEqual(table, (ROOT / "data/surfaces/skin-and-cloth.csv").read_bytes())
        rows = [line.split(",") for line in table.decode().splitlines()[2:]]
        self.assertGreaterEqual(len(rows), 12)
        for row in rows:
            self.assertTrue(all(0 < float(v) < 1 for v in row[2:]), row[0])

    def test_the_demo_show(self):
        show = made("make_demo_show.py", "salt-lanterns.zelo")["salt-lanterns.zelo"]
        self.assertEqual(show, (ROOT / "data/shows/salt-lanterns.zelo").read_bytes())


class BirthCertificates(unittest.TestCase):
    def test_every_table_says_where_it_comes_from(self):
        for table in (ROOT / "data/standards").glob("*.csv"):
            head = table.read_text().splitlines()[:3]
            self.assertTrue(head[0].startswith("# "), table.name)
            self.assertTrue(head[1].startswith("# source: "), table.name)
            self.assertIn("columns", head[2], table.name)

    def test_reflectances_are_shares(self):
        for table in (ROOT / "data/standards").glob("samples_*.csv"):
            for line in table.read_text().splitlines():
                if line[0].isdigit():
                    for value in line.split(",")[1:]:
                        self.assertTrue(0 <= float(value) <= 1.05, (table.name, line[:20]))

    def test_the_font_has_its_licence(self):
        self.assertIn("SIL OPEN FONT LICENSE", (ROOT / "data/fonts/LICENSE.txt").read_text().upper())


class TheSetupList(unittest.TestCase):
    def test_each_package_once(self):
        text = (ROOT / "tools/setup").read_text()
        block = re.search(r"packages=\((.*?)\n\)", text, re.S).group(1)
        names = [w for line in block.splitlines() if not line.strip().startswith("#") for w in line.split()]
        self.assertEqual(len(names), len(set(names)))
        self.assertGreater(len(names), 20)

    def test_a_dry_run_changes_nothing_and_needs_no_rights(self):
        done = subprocess.run([ROOT / "tools/setup", "--dry-run"], capture_output=True, text=True)
        self.assertEqual(done.returncode, 0)
        self.assertNotIn("Installing", done.stdout)


class TheSchema(unittest.TestCase):
    def test_it_refuses_what_the_reader_refuses(self):
        try:
            import jsonschema
        except ImportError:
            self.skipTest("no jsonschema for this python")
        schema = json.loads((ROOT / "data/schema/show.schema.json").read_text())
        check = jsonschema.Draft202012Validator(schema)
        show = json.loads((ROOT / "data/shows/salt-lanterns.zelo").read_text())
        self.assertTrue(check.is_valid(show))
        for path, value in [(("version",), 2), (("format",), "other"), (("fixtures", 0, "address"), 513),
                            (("fixtures", 0, "universe"), 0), (("standing", 0, "intensity"), 1.5),
                            (("colours", 0, "intent"), "loudest")]:
            broken = json.loads(json.dumps(show))
            at = broken
            for step in path[:-1]:
                at = at[step]
            at[path[-1]] = value
            self.assertFalse(check.is_valid(broken), path)


if __name__ == "__main__":
    unittest.main(argv=sys.argv[:1])
