#!/usr/bin/env python3
"""Writes data/cameras/*.csv: the sensitivities of three cameras, invented, from a plain model.

A channel sees light through three things: silicon, which takes more of a photon the longer it goes up to about 650 nm
and less beyond; a glass that keeps infrared out; and a dye over the pixel, a band or an edge, with a leak elsewhere.
    python3 tools/make_cameras.py data/cameras
"""
import math
import pathlib
import sys

NM = range(380, 781, 5)


def silicon(nm, blue, red):  # electrons a watt, largest about 1
    rise = 1 / (1 + math.exp((blue - nm) / 38))
    fall = 1 / (1 + math.exp((nm - red) / 60))
    return nm / 650 * rise * fall


def infrared_cut(nm, edge, width):
    return 1 / (1 + math.exp((nm - edge) / width))


def band(centre, width_below, width_above, leak):
    def transmittance(nm):
        width = width_below if nm < centre else width_above
        return leak + (1 - leak) * math.exp(-0.5 * ((nm - centre) / width) ** 2)
    return transmittance


def edge(at, width, leak, again=0.0):  # a long pass; `again`: it lets some violet through
    def transmittance(nm):
        violet = again * math.exp(-0.5 * ((nm - 420) / 22) ** 2)
        return leak + (1 - leak) / (1 + math.exp((at - nm) / width)) + violet
    return transmittance


# name: silicon (blue, red), cut (edge, width), dyes of r, g and b
CAMERAS = {
    "Kittiwake": ((400, 760), (650, 12), (edge(586, 7, 0.012, 0.05), band(532, 36, 40, 0.03), band(456, 34, 30, 0.02))),
    "Fulmar": ((430, 720), (640, 16), (edge(578, 11, 0.03, 0.09), band(540, 44, 46, 0.06), band(462, 38, 36, 0.05))),
    "Guillemot": ((385, 780), (661, 9), (edge(594, 5, 0.006), band(524, 30, 36, 0.015), band(448, 26, 26, 0.01))),
}

folder = pathlib.Path(sys.argv[1])
folder.mkdir(parents=True, exist_ok=True)
for name, (chip, cut, dyes) in CAMERAS.items():
    rows = [[silicon(nm, *chip) * infrared_cut(nm, *cut) * dye(nm) for dye in dyes] for nm in NM]
    most = max(max(row) for row in rows)
    with open(folder / f"{name.lower()}.csv", "w", encoding="utf-8") as out:
        out.write(f"# name: {name}\n")
        out.write("# Sensitivities of a camera. Invented; made by tools/make_cameras.py from the model there.\n")
        out.write("nm,r,g,b\n")
        for nm, row in zip(NM, rows):
            out.write(f"{nm}," + ",".join(f"{v / most:.5f}" for v in row) + "\n")
