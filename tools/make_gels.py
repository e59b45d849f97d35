#!/usr/bin/env python3
"""Writes data/gels/salt-road.txt: the swatch book that ships, invented, from a dye model.

log T(nm) = log base - sum of c_k * e_k(nm): absorption bands and edges in density (colour.md, 7).
    python3 tools/make_gels.py data/gels/salt-road.txt
"""
import math
import sys

NM = range(380, 781, 10)
LN10 = math.log(10)
C2 = 1.4388e7  # nm K


def band(centre, width):
    return lambda nm: math.exp(-0.5 * ((nm - centre) / width) ** 2)


def below(edge, width):  # absorbs everything shorter than the edge
    return lambda nm: 1 / (1 + math.exp((nm - edge) / width))


DYES = {
    "yellow": below(488, 11), "gold": below(520, 13), "orange": below(552, 12), "red": below(598, 10),
    "rose": band(535, 34), "magenta": band(550, 44), "violet": band(585, 36),
    "cyan": lambda nm: band(640, 52)(nm) + 0.35 * band(720, 40)(nm),
    "blue": lambda nm: band(605, 48)(nm) + 0.8 * band(670, 45)(nm),
    "deep": lambda nm: band(560, 40)(nm) + band(625, 45)(nm) + 0.9 * band(690, 40)(nm),
    "purple": band(565, 30), "brown": lambda nm: ((780 - nm) / 400) ** 1.6,
    "neutral": lambda nm: 1.0,
}


def warm(mired):  # a blackbody's spectrum moved by so many mired (Wien): density along 1/nm
    ends = (780, 380) if mired > 0 else (380, 780)
    return lambda nm: C2 * mired * 1e-6 * (1 / nm - 1 / ends[0]) / LN10


def gel(number, name, base=0.90, shift=0, **dyes):
    row = []
    for nm in NM:
        density = sum(c * DYES[d](nm) for d, c in dyes.items())
        if shift:
            density += warm(shift)(nm)
        row.append(base * 10 ** -density)
    return number, name, row


def family(start, names, low, high, **recipe):
    """Gels of one hue from pale to deep: concentrations grow geometrically from low to high."""
    out = []
    for i, name in enumerate(names):
        t = i / (len(names) - 1)
        c = low * (high / low) ** t
        parts = {d: c * (share(t) if callable(share) else share) for d, share in recipe.items()}
        out.append(gel(start + i, name, 0.92 - 0.04 * t, **parts))
    return out


def words(text):
    return [w.strip() for w in text.split(",")]


BOOK = []
BOOK += family(101, words("Rosehip, Buoy, Beacon, Signal red, Forge, Garnet, Sea coal, Last watch"),
               0.35, 2.6, red=1.0, rose=0.35)
BOOK += family(109, words("First blush, Cockle, Sea pink, Coralline, Bramble milk, Anemone, Foxglove, Winkle,"
                          "Dog rose, Brine rose"), 0.06, 1.3, rose=1.0, yellow=0.12)
BOOK += family(119, words("Washed pink, Cuttle, Shell pink, Salmon run, Prawn, Boiled crab, Warm cheek,"
                          "Langoustine, Red mullet"), 0.14, 1.5, rose=0.75, gold=0.45)
BOOK += family(201, words("Thin tea, Barley water, Oat straw, Chaff, Old paper, Beeswax, Pale straw, Stubble, Thatch"),
               0.07, 0.75, yellow=1.0, brown=0.22)
BOOK += [
    gel(210, "Lime wash", yellow=0.42, brown=0.10), gel(211, "Oat", yellow=0.35, brown=0.30),
    gel(212, "Lantern glass", yellow=1.30, gold=0.30), gel(213, "Rope", yellow=0.50, gold=0.22, brown=0.15),
    gel(214, "Apricot", gold=0.42, orange=0.24, yellow=0.18), gel(215, "Kiln", orange=1.05, gold=0.4),
    gel(216, "Rusted keel", orange=1.15, red=0.45), gel(217, "Terracotta", orange=0.85, red=0.18, brown=0.2),
    gel(218, "Marigold", gold=1.55, orange=0.12), gel(219, "Ember", orange=1.5, red=0.95),
]
BOOK += family(220, words("Butter, Primrose, Gorse, Mustard seed, Sulphur, Canary cage, Broom, Sunstone, Yolk"),
               0.25, 2.4, yellow=1.0)
BOOK += family(229, words("Peach skin, Amber bead, Tallow, Copper pan, Tangerine, Brazier, Foundry, Furnace door"),
               0.16, 2.0, orange=0.75, gold=0.6)
BOOK += family(301, words("Thin ice, Breath, Mist, Skylight, Larkspur water, Clear noon, Fair wind, Windward,"
                          "Open water, High summer"), 0.05, 1.0, blue=1.0)
BOOK += family(311, words("Pewter, Slate wash, Grey morning, Herring, Steel rain, Rain barrel, Sleet, Night tide,"
                          "Storm glass, Undertow"), 0.06, 1.1, blue=0.8, brown=0.12, violet=0.25)
BOOK += family(321, words("Shallows, Rock pool, Sea glass, Lagoon, Verdigris, Fathom green, Spindrift, Cold spring,"
                          "Mermaid purse, Grotto"), 0.18, 1.5, cyan=1.0, yellow=0.10)
BOOK += family(331, words("Bright ice, Ice melt, Glacier, Cold tap, Blue bottle, Kingfisher, Ice cave, Sluice cyan,"
                          "Deep sluice, Cold store"), 0.15, 2.0, cyan=1.0)
BOOK += family(341, words("Harbour blue, Quayside, Mussel, Ink, Smalt jar, Blue hour, Dark water, Anchor watch,"
                          "Moonless, Bottom lock"), 0.8, 2.4, deep=1.0)
BOOK += family(351, words("Sea lettuce, Samphire, Eelgrass, Bladderwrack, Salt marsh, Kelp"),
               0.3, 1.5, yellow=0.9, cyan=0.7)
BOOK += family(401, words("Fog lilac, Sea lavender, Heather, Limpet, Lilac wash, Evening shell, Wisteria, Plum skin,"
                          "Violet dusk, Sloe"), 0.06, 1.2, violet=1.0, purple=0.25)
BOOK += family(411, words("Vesper, Iris, Damson milk, Bell heather, Amethyst, Crocus, Night violet, Squid ink,"
                          "Bilberry, Black plum"), 0.15, 2.0, violet=0.8, purple=0.8)
BOOK += [gel(421, "Thistle", magenta=0.95), gel(422, "Dusk lavender", magenta=0.42, violet=0.12)]
BOOK += family(423, words("Sugar pink, Thrift, Fuchsia bud, Beetroot, Cochineal, Sea urchin, Orchid root, Mulberry"),
               0.2, 2.4, magenta=1.0)
BOOK += family(501, words("Mint leaf, Pear skin, Young fern, Dune grass, Bottle glass, Moss bank, Clover, Ivy,"
                          "Holly, Deep wood"), 0.10, 1.7, cyan=0.9, yellow=0.55, violet=0.15)
BOOK += family(511, words("Gooseberry, Lichen, New hay, Cress, Nettle, Bracken, Pond weed, Laurel, Cedar, Night fern"),
               0.12, 1.9, cyan=0.55, yellow=1.0)
BOOK += family(521, words("Reed, Rush light, Sedge, Wild fennel, Gorse green, Glow worm, Absinthe bottle"),
               0.40, 1.8, yellow=1.0, cyan=0.35)
STEPS = [("eighth", 1 / 8), ("quarter", 1 / 4), ("half", 1 / 2), ("three quarters", 3 / 4), ("whole", 1)]
BOOK += [gel(601 + i, f"Warm {n}", 0.91, shift=134 * s) for i, (n, s) in enumerate(STEPS)]
BOOK += [gel(611 + i, f"Cool {n}", 0.91, shift=-134 * s) for i, (n, s) in enumerate(STEPS)]
BOOK += [gel(621 + i, f"More green {n}", 0.91, violet=0.02 * s, magenta=0.0, yellow=0.16 * s, cyan=0.16 * s)
         for i, (n, s) in enumerate(STEPS)]
BOOK += [gel(631 + i, f"Less green {n}", 0.91, magenta=0.22 * s) for i, (n, s) in enumerate(STEPS)]
BOOK += [gel(701 + i, f"Grey {d}", 0.92, neutral=d) for i, d in enumerate((0.15, 0.3, 0.6, 0.9, 1.2))]

with open(sys.argv[1], "w", encoding="utf-8") as out:
    fields = ["SAMPLE_ID", "SAMPLE_NAME"] + [f"SPECTRAL_NM{nm}" for nm in NM]
    out.write("CGATS.17\n\n")
    out.write("# Invented gels, GENERATED BY tools/make_gels.py, DO NOT EDIT. Transmittance, 0 to 1.\n")
    out.write('ORIGINATOR "Skerry Works"\nDESCRIPTOR "Salt Road"\n\n')
    out.write(f"NUMBER_OF_FIELDS {len(fields)}\nBEGIN_DATA_FORMAT\n{' '.join(fields)}\nEND_DATA_FORMAT\n\n")
    out.write(f"NUMBER_OF_SETS {len(BOOK)}\nBEGIN_DATA\n")
    for number, name, row in sorted(BOOK):
        out.write(f'{number} "{name}" ' + " ".join(f"{t:.5f}" for t in row) + "\n")
    out.write("END_DATA\n")
