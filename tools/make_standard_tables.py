#!/usr/bin/env python3
"""Writes data/standards/*.csv: published tables of colour science, as plain text.

Run once, by hand, with the package colour-science from PyPI; the product needs neither.
    python3 tools/make_standard_tables.py data/standards
"""
import pathlib
import sys

import colour

OUT = pathlib.Path(sys.argv[1])
NOTE = "taken from the package colour-science {} (BSD-3-Clause) by tools/make_standard_tables.py".format(
    colour.__version__)


def write(name, what, source, columns, rows):
    lines = [f"# {what}", f"# source: {source}; {NOTE}", "# columns: " + ",".join(columns)]
    lines += [",".join(repr(float(v)).removesuffix(".0") for v in row) for row in rows]
    (OUT / name).write_text("\n".join(lines) + "\n")


def observer(name, key, source):
    table = colour.MSDS_CMFS[key]
    at = {int(w): v for w, v in zip(table.wavelengths, table.values)}
    rows = [(nm, *at.get(nm, (0.0, 0.0, 0.0))) for nm in range(380, 781)]
    write(name, key + " colour matching functions, 380 to 780 nm, every 1 nm, 0 where the table has no row",
          source, ("wavelength_nm", "x", "y", "z"), rows)


observer("observer_cie1931_2.csv", "CIE 1931 2 Degree Standard Observer", "CIE 018 / ISO/CIE 11664-1")
observer("observer_cie1964_10.csv", "CIE 1964 10 Degree Standard Observer", "CIE 018 / ISO/CIE 11664-1")
observer("observer_cie2015_2.csv", "CIE 2015 2 Degree Standard Observer", "CIE 170-2:2015")
observer("observer_cie2015_10.csv", "CIE 2015 10 Degree Standard Observer", "CIE 170-2:2015")

from colour.colorimetry.datasets.illuminants import SDS_BASIS_FUNCTIONS_CIE_ILLUMINANT_D_SERIES as DAY
s0, s1, s2 = (DAY[k] for k in ("S0", "S1", "S2"))
step5 = range(380, 781, 5)
# The published table has 10 nm in the package; 5 nm of CIE 15 is its linear interpolation.
rows = []
for nm in step5:
    row = [nm]
    for s in (s0, s1, s2):
        low = nm - nm % 10
        a, b = float(s[low]), float(s[min(low + 10, 780)])
        row.append(round(a + (b - a) * (nm - low) / 10, 4))
    rows.append(row)
write("daylight_components.csv", "CIE daylight components S0, S1, S2, 380 to 780 nm, every 5 nm", "CIE 15:2018 table 6",
      ("wavelength_nm", "s0", "s1", "s2"), rows)

from colour.quality.cfi2017 import load_TCS_CIE2017
ces = load_TCS_CIE2017(colour.SpectralShape(380, 780, 1))
write("samples_tm30.csv", "reflectance of the 99 colour evaluation samples of TM-30-20 and CIE 224:2017, every 1 nm",
      "ANSI/IES TM-30-20, CIE 224:2017", ["wavelength_nm"] + [f"s{i}" for i in range(1, 100)],
      [[int(w), *(round(float(x), 6) for x in v)] for w, v in zip(ces.wavelengths, ces.values)])

from colour.quality.datasets import SDS_TCS
tcs = SDS_TCS["CIE 1995"]
names = list(tcs)[:14]
write("samples_cie13.csv", "reflectance of the 14 test colour samples of CIE 13.3, every 5 nm",
      "CIE 13.3-1995", ["wavelength_nm"] + [n.lower() for n in names],
      [[nm, *(round(float(tcs[n][nm]), 6) for n in names)] for nm in step5])
