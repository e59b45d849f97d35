#!/usr/bin/env python3
"""Writes data/surfaces/skin-and-cloth.csv: reflectances to judge a light on, invented, from models.

Skin: light that goes in and comes back through melanin (density falling as nm^-3.3) and blood (bands at
542 and 577 nm, and a steep rise towards 420 nm). Cloth: white fibre behind dyes (bands and edges in density).
    python3 tools/make_surfaces.py data/surfaces/skin-and-cloth.csv
"""
import math
import sys

NM = range(380, 781, 5)


def band(nm, centre, width):
    return math.exp(-0.5 * ((nm - centre) / width) ** 2)


def below(nm, edge, width):  # absorbs everything shorter than the edge
    return 1 / (1 + math.exp((nm - edge) / width))


def skin(melanin, blood):
    def reflectance(nm):
        m = melanin * (nm / 550) ** -3.3
        b = blood * (band(nm, 542, 13) + band(nm, 577, 9) + 2.6 * below(nm, 445, 14) + 0.12)
        return 0.045 + 0.68 * math.exp(-1.35 * (m + b))
    return reflectance


def cloth(base, *dyes):
    def reflectance(nm):
        density = sum(dye(nm) for dye in dyes)
        return 0.02 + base * 10 ** -density
    return reflectance


def dye(strength, *parts):
    return lambda nm: strength * sum(part(nm) for part in parts)


SAMPLES = [
    ("fair", "fair skin", skin(0.16, 0.30)),
    ("olive", "olive skin", skin(0.48, 0.26)),
    ("brown", "brown skin", skin(0.95, 0.24)),
    ("deep", "deep skin", skin(1.75, 0.22)),
    ("linen", "raw linen", cloth(0.74, dye(0.32, lambda nm: below(nm, 470, 45)))),
    ("wool", "red wool", cloth(0.62, dye(1.15, lambda nm: below(nm, 592, 13)))),
    ("denim", "sea denim", cloth(0.42, dye(0.75, lambda nm: band(nm, 640, 62), lambda nm: 0.25 * below(nm, 420, 30)))),
    ("silk", "kelp silk", cloth(0.66, dye(0.85, lambda nm: below(nm, 492, 14), lambda nm: 0.85 * band(nm, 660, 40)))),
    ("braid", "amber braid", cloth(0.70, dye(0.95, lambda nm: below(nm, 535, 16)))),
    ("velvet", "violet velvet", cloth(0.34, dye(0.95, lambda nm: band(nm, 560, 42)))),
    ("straw", "straw hat", cloth(0.72, dye(0.60, lambda nm: below(nm, 485, 26)))),
    ("salt", "salt sack", cloth(0.80, dye(0.06, lambda nm: below(nm, 450, 50)))),
]

with open(sys.argv[1], "w", encoding="utf-8") as out:
    out.write("# Reflectances, 0 to 1. Invented; made by tools/make_surfaces.py from the models that stand there.\n")
    out.write("id,name," + ",".join(str(nm) for nm in NM) + "\n")
    for key, name, reflectance in SAMPLES:
        out.write(f"{key},{name}," + ",".join(f"{reflectance(nm):.5f}" for nm in NM) + "\n")
