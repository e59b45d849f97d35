#!/usr/bin/env python3
"""Writes tests/data/rendering.json: R_f, R_g, bins and R_a of the reference spectra by another implementation.

Run once, by hand, with the package colour-science from PyPI.
    python3 tools/make_rendering_vectors.py tests/data/reference/spectra tests/data/rendering.json
"""
import json
import pathlib
import sys

import colour
import numpy as np
from colour.quality import colour_fidelity_index_ANSIIESTM3018, colour_rendering_index

GRID = colour.SpectralShape(380, 780, 1)
rows = []
for path in sorted(pathlib.Path(sys.argv[1]).glob("*.csv")):
    table = np.loadtxt(path, delimiter=",", skiprows=1)
    if np.max(np.diff(table[:, 0])) > 5:
        continue
    values = np.interp(GRID.wavelengths, table[:, 0], table[:, 1], left=0, right=0)
    sd = colour.SpectralDistribution(values, GRID.wavelengths)
    try:
        tm30 = colour_fidelity_index_ANSIIESTM3018(sd, additional_data=True)
    except Exception:
        continue
    if not 1000 < tm30.CCT < 25000 or abs(tm30.D_uv) > 0.0054:
        continue
    cri = colour_rendering_index(sd, additional_data=True)
    rows.append({"file": path.name, "cct": tm30.CCT, "rf": tm30.R_f, "rg": tm30.R_g,
                 "bin_rf": list(tm30.R_fs), "bin_chroma_percent": list(tm30.R_cs), "bin_hue": list(tm30.R_hs),
                 "ra": cri.Q_a, "r": [cri.Q_as[i].Q_a for i in range(1, 15)]})
out = {"source": f"colour-science {colour.__version__}, colour_fidelity_index_ANSIIESTM3018; written by tools/make_rendering_vectors.py",
       "lights": rows}
pathlib.Path(sys.argv[2]).write_text(json.dumps(out, indent=1) + "\n")
print(len(rows), "lights")
