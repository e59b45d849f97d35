#!/usr/bin/env python3
"""Writes data/fixtures/NAME/: the fixture types that ship, invented, as unpacked GDTF 1.2 folders.

Emitters come from line shapes of light-emitting diodes and phosphors, tungsten from Planck's law, flags and
wheels from the edges of interference filters, scrollers from gels of the shipped swatch book; power from
plausible efficacies.
    python3 tools/make_fixtures.py data/fixtures
"""
import json
import math
import pathlib
import sys
import uuid
from xml.sax.saxutils import quoteattr

ROOT = pathlib.Path(__file__).resolve().parent.parent
NM = range(380, 781, 2)
CMF = [tuple(map(float, line.split(","))) for line in
       (ROOT / "data/standards/observer_cie1931_2.csv").read_text().splitlines() if line[0].isdigit()]


def line(peak, short, long):
    """A diode: half widths at half height towards short and long wavelengths."""
    def at(nm):
        d = (nm - peak) / (short if nm < peak else long)
        return math.exp(-math.log(2) * abs(d) ** 1.75)
    return at


def planck(kelvin):
    def at(nm):
        return nm ** -5.0 / (math.exp(1.438776877e7 / (nm * kelvin)) - 1)
    top = max(at(nm) for nm in NM)
    return lambda nm: at(nm) / top


def phosphor(peak, short, long, pump, pump_share):
    def at(nm):
        d = (nm - peak) / (short if nm < peak else long)
        return math.exp(-math.log(2) * d * d) + pump_share * line(pump, 9, 11)(nm)
    return at


# name: (GDTF attribute, spectrum, lumens per electrical watt)
EMITTERS = {
    "Deep red": ("ColorAdd_RM", line(658, 13, 9), 30), "Red": ("ColorAdd_R", line(634, 11, 8), 60),
    "Amber": ("ColorAdd_RY", line(596, 8, 7), 55), "Lime": ("ColorAdd_GY", phosphor(549, 36, 58, 448, 0.03), 160),
    "Mint": ("ColorAdd_GC", phosphor(517, 38, 62, 448, 0.22), 130), "Green": ("ColorAdd_G", line(523, 15, 19), 95),
    "Cyan": ("ColorAdd_C", line(500, 13, 17), 60), "Blue": ("ColorAdd_B", line(465, 10, 13), 22),
    "Indigo": ("ColorAdd_BM", line(447, 8, 11), 10), "White": ("ColorAdd_W", phosphor(562, 50, 72, 451, 0.95), 120),
    "Warm white": ("ColorAdd_WW", phosphor(606.2, 66, 66, 452, 0.42), 105),
    "Cool white": ("ColorAdd_CW", phosphor(548.4, 45, 76, 450, 2.51), 125),
    "Magenta": ("ColorAdd_M", phosphor(636, 26, 44, 451, 1.1), 45), "Ultraviolet": ("ColorAdd_UV", line(397, 6, 8), 0.6),
    "Lamp": ("", phosphor(551.5, 47, 74, 450, 2.28), 110), "Tungsten": ("", planck(3200), 24),
}
GELS = {}
rows = [r.split() for r in (ROOT / "data/gels/salt-road.txt").read_text(encoding="utf-8").splitlines()]
fields = rows[[r[:1] for r in rows].index(["BEGIN_DATA_FORMAT"]) + 1]
GEL_NM = [int(f.rpartition("NM")[2]) for f in fields if "NM" in f]
for r in rows[[r[:1] for r in rows].index(["BEGIN_DATA"]) + 1:]:
    if r and r[0].strip('"').isalnum() and r[0] != "END_DATA":
        GELS[r[0].strip('"')] = [float(v) for v in r[-len(GEL_NM):]]


def gel(number):
    t = GELS[number]

    def at(nm):
        i = min(max(int((nm - GEL_NM[0]) / (GEL_NM[1] - GEL_NM[0])), 0), len(t) - 2)
        part = (nm - GEL_NM[i]) / (GEL_NM[i + 1] - GEL_NM[i])
        return t[i] + (t[i + 1] - t[i]) * min(max(part, 0.0), 1.0)
    return at


def edge(nm, at, width):
    return 1 / (1 + math.exp((at - nm) / width))


def held(low, high, density, width=6.0):
    """An interference filter: density between two edges."""
    return lambda nm: 0.03 + density * edge(nm, low, width) * (1 - edge(nm, high, width))


def flag(density, power=1.35):
    """Driven in by degrees: at 25, 50, 75 and 100 % more of the etched coating stands in the beam."""
    return [(p, (lambda share: lambda nm: math.exp(-density(nm) * share))((p / 100) ** power)) for p in (25, 50, 75, 100)]


def once(density):
    return [(100, lambda nm: math.exp(-density(nm)))]


def xyz(shape):
    s = [sum(shape(nm) * row[i] for nm, row in ((int(r[0]), r) for r in CMF)) for i in (1, 2, 3)]
    return s


def xyY(shape, top):
    x, y, z = xyz(shape)
    return f"{x / (x + y + z):.6f},{y / (x + y + z):.6f},{top:g}"


def dominant(shape):
    """Where the ray from equal-energy white through the light's x, y meets the locus, nm; None for whites, purples."""
    x, y, z = xyz(shape)
    x, y = x / (x + y + z) - 1 / 3, y / (x + y + z) - 1 / 3
    for a, b in zip(CMF, CMF[1:]):
        if not 385 <= a[0] < 700:
            continue
        (ax, ay), (bx, by) = [(r[1] / sum(r[1:4]) - 1 / 3, r[2] / sum(r[1:4]) - 1 / 3) for r in (a, b)]
        ex, ey = bx - ax, by - ay
        det = x * ey - y * ex
        if det == 0:
            continue
        far, part = (ax * ey - ay * ex) / det, (ax * y - ay * x) / det
        if far > 0 and 0 <= part <= 1:
            return a[0] + part * (b[0] - a[0]) if 1 / far > 0.3 else None
    return None


class Channel:
    """One channel of a mode: what it is for and how its values run."""

    def __init__(self, attribute, size, home=0, highlight=None, sets=(), physical=(0.0, 1.0), ranges=(), **links):
        self.ranges = ranges  # of what makes no light: [(from, attribute, name)]
        self.attribute, self.size, self.home, self.links, self.sets = attribute, size, home, links, sets
        self.highlight = 256 ** size - 1 if highlight is None else highlight
        self.physical = physical

    def attributes(self):
        feature = "Beam.Beam" if self.ranges or self.attribute == "Zoom" else "Color.RGB"
        return [(a, feature) for a in [self.attribute] + [a for _, a, _ in self.ranges]]

    def rows(self, offset):
        slots = ",".join(str(offset + b) for b in range(self.size))
        name = self.links.get("Emitter", self.attribute) + " 1"
        for at, _, text in self.ranges:
            name = text if at <= self.home else name
        master = "Grand" if self.attribute in ("Dimmer", "HSB_Brightness") else "None"
        links = "".join(f' {k}="{v}"' for k, v in self.links.items())
        yield (f'  <DMXChannel DMXBreak="1" Geometry="Beam" Highlight="{self.highlight}/{self.size}" '
               f'InitialFunction="Beam_{self.attribute}.{self.attribute}.{name}" Offset="{slots}">')
        yield (f'   <LogicalChannel Attribute="{self.attribute}" DMXChangeTimeLimit="0.0" '
               f'Master="{master}" MibFade="0.0" Snap="{"Yes" if self.sets or self.ranges else "No"}">')
        start = (f'    <ChannelFunction Attribute="{self.attribute}" DMXFrom="0/{self.size}" '
                 f'Default="{self.home}/{self.size}"{links} Name="{name}" OriginalAttribute="" '
                 f'PhysicalFrom="{self.physical[0]}" PhysicalTo="{self.physical[1]}" RealAcceleration="0.0" RealFade="0.0"')
        if self.ranges:
            for at, attribute, text in self.ranges:
                yield (f'    <ChannelFunction Attribute="{attribute}" DMXFrom="{at}/{self.size}" Default="{self.home}/{self.size}" '
                       f'Name="{text}" OriginalAttribute="" PhysicalFrom="0.0" PhysicalTo="1.0" RealAcceleration="0.0" RealFade="0.0"/>')
        elif not self.sets:
            yield start + "/>"
        else:
            yield start + ">"
            for at, text, slot in self.sets:
                yield f'     <ChannelSet DMXFrom="{at}/{self.size}" Name="{text}" WheelSlotIndex="{slot}"/>'
            yield "    </ChannelFunction>"
        yield "   </LogicalChannel>"
        yield "  </DMXChannel>"


class Type:
    def __init__(self, folder, name, text, emitters, modes, square=False, filters=None, wheels=None, gamuts=None,
                 white=None, source=None, droop=None, kelvin=6000, lamp="LED"):
        self.folder, self.name, self.text, self.square = folder, name, text, square
        self.emitters = emitters            # [(emitter, candela)]
        self.filters = filters or {}        # name: [(percent in, transmittance)]
        self.wheels = wheels or {}          # name: [(slot, filter or None)]
        self.gamuts = gamuts or {}          # name: [emitter, …]
        self.white = white                  # "x,y,Y" of the engine's white
        self.source, self.droop, self.kelvin, self.lamp = source, droop or (lambda e: []), kelvin, lamp
        # [(mode, bytes, dimmer)]: a channel for each emitter; or [(mode, [Channel, …])]
        self.modes = [(m[0], self.emitter_channels(*m[1:])) if len(m) == 3 else m for m in modes]

    def emitter_channels(self, size, dimmer):
        top = 256 ** size - 1
        curve = {"DMXProfile": "Square law"} if self.square else {}
        return ([Channel("Dimmer", size)] if dimmer else []) + [
            Channel(EMITTERS[e][0], size, home=top, Emitter=e, **curve) for e, _ in self.emitters]

    def attributes(self):
        rows = ['<Attribute Feature="Dimmer.Dimmer" Name="Dimmer" PhysicalUnit="LuminousIntensity" Pretty="Dim"/>']
        for e, cd in self.emitters:
            if EMITTERS[e][0]:
                rows.append(f'<Attribute ActivationGroup="ColorRGB" Color="{xyY(EMITTERS[e][1], cd)}" '
                            f'Feature="Color.RGB" Name="{EMITTERS[e][0]}" PhysicalUnit="ColorComponent" Pretty="{e}"/>')
        named = {"Dimmer"} | {EMITTERS[e][0] for e, _ in self.emitters}
        for _, channels in self.modes:
            for attribute, feature in [(a, f) for c in channels for a, f in c.attributes()]:
                if attribute not in named:
                    named.add(attribute)
                    rows.append(f'<Attribute Feature="{feature}" Name="{attribute}" PhysicalUnit="None" '
                                f'Pretty="{attribute}"/>')
        return rows

    def has_beam(self):
        return any(f == "Beam.Beam" for _, channels in self.modes for c in channels for _, f in c.attributes())

    def points(self, shape, factor):
        for nm in NM:
            yield f'  <MeasurementPoint Energy="{factor * shape(nm):.6g}" WaveLength="{nm}"/>'

    def emitter_rows(self):
        for e, cd in self.emitters:
            shape = EMITTERS[e][1]
            nm = dominant(shape)
            told = f' DominantWaveLength="{nm:.1f}"' if nm else ""
            share = 100 * cd / sum(all_cd for _, all_cd in self.emitters)  # of the output, percent
            yield f'<Emitter Color="{xyY(shape, round(share, 3))}"{told} Name="{e}">'
            # W/(sr nm): scaled so that the luminous intensity is the one stated
            for percent, its, candela in self.droop(e) + [(100, shape, cd)]:
                candela = round(candela, 1)
                yield (f' <Measurement InterpolationTo="Linear" LuminousIntensity="{float(candela)}" '
                       f'Physical="{float(percent)}">')
                yield from self.points(its, candela / (683 * xyz(its)[1]))
                yield " </Measurement>"
            yield "</Emitter>"

    def filter_rows(self):
        behind = EMITTERS[self.emitters[0][0]][1]
        for name, measured in self.filters.items():
            full = measured[-1][1]
            through = lambda t: 100 * xyz(lambda nm: behind(nm) * t(nm))[1] / xyz(behind)[1]
            yield f'<Filter Color="{xyY(lambda nm: behind(nm) * full(nm), round(through(full), 1))}" Name="{name}">'
            for percent, t in measured:
                yield (f' <Measurement InterpolationTo="Log" Physical="{float(percent)}" '
                       f'Transmission="{through(t):.1f}">')
                yield from self.points(t, 1)
                yield " </Measurement>"
            yield "</Filter>"

    def wheel_rows(self):
        behind = EMITTERS[self.emitters[0][0]][1]
        for name, slots in self.wheels.items():
            yield f'<Wheel Name="{name}">'
            for slot, through in slots:
                t = self.filters[through][-1][1] if through else (lambda nm: 1.0)
                top = 100 * xyz(lambda nm: behind(nm) * t(nm))[1] / xyz(behind)[1]
                link = f' Filter="{through}"' if through else ""
                yield f' <Slot Color="{xyY(lambda nm: behind(nm) * t(nm), round(top, 1))}"{link} MediaFileName="" Name="{slot}"/>'
            yield "</Wheel>"

    def mode_rows(self, mode, channels):
        offset = 1
        yield f'<DMXMode Description="" Geometry="Body" Name="{mode}">'
        yield " <DMXChannels>"
        for c in channels:
            yield from c.rows(offset)
            offset += c.size
        yield " </DMXChannels>"
        yield " <Relations/>"
        yield " <FTMacros/>"
        yield "</DMXMode>"

    def section(self, name, rows, indent="   "):
        rows = [f"{indent} {r}" for r in rows]
        return [f"{indent}<{name}>"] + rows + [f"{indent}</{name}>"] if rows else [f"{indent}<{name}/>"]

    def xml(self):
        ident = str(uuid.uuid5(uuid.NAMESPACE_URL, "zelochrome:" + self.folder)).upper()
        o = ['<?xml version="1.0" encoding="UTF-8"?>',
             "<!-- Invented. GENERATED BY tools/make_fixtures.py, DO NOT EDIT. -->", '<GDTF DataVersion="1.2">',
             f' <FixtureType CanHaveChildren="No" Description={quoteattr(self.text)} FixtureTypeID="{ident}" '
             f'LongName="{self.name}" Manufacturer="Skerry Works" Name="{self.name}" RefFT="" '
             f'ShortName="{self.name.replace(" ", "")}" Thumbnail="" ThumbnailOffsetX="0" ThumbnailOffsetY="0">',
             "  <AttributeDefinitions>", '   <ActivationGroups><ActivationGroup Name="ColorRGB"/></ActivationGroups>',
             "   <FeatureGroups>",
             '    <FeatureGroup Name="Dimmer" Pretty="Dimmer"><Feature Name="Dimmer"/></FeatureGroup>',
             '    <FeatureGroup Name="Color" Pretty="Color"><Feature Name="RGB"/></FeatureGroup>']
        if self.has_beam():
            o.append('    <FeatureGroup Name="Beam" Pretty="Beam"><Feature Name="Beam"/></FeatureGroup>')
        o += ["   </FeatureGroups>", "   <Attributes>"]
        o += ["    " + r for r in self.attributes()]
        o += ["   </Attributes>", "  </AttributeDefinitions>"] + self.section("Wheels", self.wheel_rows(), "  ")
        o += ["  <PhysicalDescriptions>"] + self.section("Emitters", self.emitter_rows())
        o += self.section("Filters", self.filter_rows())
        o += ['   <ColorSpace Mode="sRGB" Name="Default"/>']
        space = f'<ColorSpace Mode="Custom" Name="Own" WhitePoint="{self.white}"/>'
        o += self.section("AdditionalColorSpaces", [space] if self.white else [])
        cd = dict(self.emitters)
        o += self.section("Gamuts", [f'<Gamut Name="{name}" Points="{";".join(xyY(EMITTERS[e][1], cd[e]) for e in corners)}"/>'
                                     for name, corners in self.gamuts.items()])
        if self.square:
            o += ["   <DMXProfiles>", '    <DMXProfile Name="Square law">',
                  '     <Point CFC0="0.0" CFC1="0.0" CFC2="0.01" CFC3="0.0" DMXPercentage="0.0"/>',
                  "    </DMXProfile>", "   </DMXProfiles>"]
        else:
            o += ["   <DMXProfiles/>"]
        source = f'EmitterSpectrum="{self.source}" ' if self.source else ""
        o += ["   <CRIs/>", "   <Connectors/>", "  </PhysicalDescriptions>", "  <Models/>", "  <Geometries>",
              '   <Geometry Name="Body" Position="{1,0,0,0}{0,1,0,0}{0,0,1,0}{0,0,0,1}">',
              '    <Beam BeamAngle="25.0" BeamRadius="0.05" BeamType="Wash" ColorRenderingIndex="80" '
              f'ColorTemperature="{self.kelvin}.0" {source}FieldAngle="30.0" LampType="{self.lamp}" LuminousFlux="8000.0" Name="Beam" '
              'Position="{1,0,0,0}{0,1,0,0}{0,0,1,0}{0,0,0,1}" PowerConsumption="300.0" RectangleRatio="1.777" '
              'ThrowRatio="1.0"/>', "   </Geometry>", "  </Geometries>", "  <DMXModes>"]
        for m in self.modes:
            o += ["   " + r for r in self.mode_rows(*m)]
        o += ["  </DMXModes>", '  <Revisions><Revision Date="2026-11-24T00:00:00" Text="Invented" UserID="0"/></Revisions>',
              "  <FTPresets/>", "  <Protocols/>", " </FixtureType>", "</GDTF>"]
        return "\n".join(o) + "\n"

    def power(self):  # about 0.7 sr of beam: lumens = candela * 0.7
        return {"emitters": {e: {"power_w": round(cd * 0.7 / EMITTERS[e][2], 1)} for e, cd in self.emitters}}

    def write(self, out):
        folder = out / self.folder
        folder.mkdir(parents=True, exist_ok=True)
        (folder / "description.xml").write_text(self.xml(), encoding="utf-8")
        (folder / "zelochrome.json").write_text(json.dumps(self.power(), indent=1) + "\n", encoding="utf-8")


def warming(cd):
    """A filament: dimmed to a share of its light it glows cooler."""
    def at(emitter):
        return [(p, planck(3200 * (p / 100) ** 0.17), cd * p / 100) for p in (2, 5, 10, 25, 50, 75)]
    return at


def drooping(emitters):
    """Diodes give more light per drive at a low one, a little to the side."""
    def at(emitter):
        cd = dict(emitters)[emitter]
        shift = {"Amber": -2.5, "Red": -1.5, "Deep red": -1.0}.get(emitter, 1.2)
        shape = EMITTERS[emitter][1]
        moved = lambda by: lambda nm: shape(nm - by)
        return [(25, moved(shift), cd * 0.29), (50, moved(shift / 2), cd * 0.55)]
    return at


def sets(slots, size=1):
    """A wheel in steps: each slot a stretch of values."""
    step = 256 ** size // len(slots)
    return [(i * step, name, i + 1) for i, (name, _) in enumerate(slots)]


SEVEN = [("Red", 1700), ("Amber", 1050), ("Lime", 4600), ("Green", 2100), ("Cyan", 1350), ("Blue", 560), ("Indigo", 200)]
PLOVER = [("Red", 1750), ("Amber", 1000), ("Lime", 4300), ("Green", 2000), ("Blue", 520)]
WHIMBREL = [("Warm white", 5200), ("Cool white", 6400), ("Green", 900), ("Magenta", 700)]
SKUA_FILTERS = {
    "Cyan": flag(held(575, 900, 5.2)), "Magenta": flag(held(500, 592, 5.0)), "Yellow": flag(held(300, 492, 5.4)),
    "Warm correction": flag(lambda nm: 0.03 + 1.5 * (1 - edge(nm, 540, 45)), 1.0),
    "Brick": once(held(300, 588, 6.0)), "Marigold": once(held(300, 528, 5.0)), "Moss": once(lambda nm: held(300, 492, 5)(nm) + held(585, 900, 5)(nm)),
    "Lagoon": once(held(560, 900, 4.5)), "Dusk": once(held(505, 900, 5.5)), "Heather": once(held(520, 600, 3.5)),
    "Minus green": once(held(515, 580, 0.45)),
}
SKUA_WHEEL = [("Open", None)] + [(n, n) for n in ("Brick", "Marigold", "Moss", "Lagoon", "Dusk", "Heather", "Minus green")]
SCROLL = ["104", "114", "214", "218", "225", "304", "309", "324", "346", "415", "508"]
SCROLL_FILTERS = {f"Frame {i + 2}": [(100, gel(n))] for i, n in enumerate(SCROLL)}
SCROLL_FRAMES = [("Open", None)] + [(f"Gel {n}", f"Frame {i + 2}") for i, n in enumerate(SCROLL)]

SHUTTER = [(0, "Shutter1", "Closed"), (16, "Shutter1", "Open"), (64, "Shutter1Strobe", "Strobe"), (224, "Shutter1StrobeRandom", "Strobe at random")]
TYPES = [
    Type("petrel-4", "Petrel 4", "Red, green, blue and white, with dimmer.",
         [("Red", 1850), ("Green", 3300), ("Blue", 560), ("White", 4400)],
         [("emitters 8 bit", 1, True), ("emitters 16 bit", 2, True)]),
    Type("tern-6", "Tern 6", "Red, green, blue, amber, mint and lime, without dimmer.",
         [("Red", 1500), ("Green", 1900), ("Blue", 420), ("Amber", 850), ("Mint", 2800), ("Lime", 3100)],
         [("emitters 8 bit", 1, False), ("emitters 16 bit", 2, False)]),
    Type("gannet-8", "Gannet 8", "Deep red, red, amber, lime, green, cyan, blue and indigo; square-law response.",
         [("Deep red", 640), ("Red", 1900), ("Amber", 1150), ("Lime", 5200), ("Green", 2300), ("Cyan", 1500),
          ("Blue", 600), ("Indigo", 210)],
         [("emitters 16 bit", 2, True), ("emitters 8 bit", 1, True)], square=True),
    Type("dunlin-3", "Dunlin 3", "Bar of red, green and blue, without dimmer.",
         [("Red", 620), ("Green", 1050), ("Blue", 190)], [("emitters 8 bit", 1, False)]),
    Type("plover-5", "Plover 5", "Red, amber, lime, green and blue; also by hue and saturation.", PLOVER,
         [("emitters 16 bit", 2, True),
          ("hue saturation 16 bit", [Channel("HSB_Brightness", 2),
                                     Channel("HSB_Hue", 2, physical=(0.0, 360.0), highlight=0, Gamut="All", ColorSpace="Own"),
                                     Channel("HSB_Saturation", 2, highlight=0, Gamut="All", ColorSpace="Own")])],
         gamuts={"All": ["Red", "Green", "Blue"]}, white="0.366800,0.367800,6500"),
    Type("shag-6", "Shag 6", "Red, green, blue, amber, white and ultraviolet, 24-bit dimmer.",
         [("Red", 900), ("Green", 1500), ("Blue", 280), ("Amber", 560), ("White", 2400), ("Ultraviolet", 4)],
         [("emitters 8 bit", 1, True),
          ("emitters 24 bit", [Channel("Dimmer", 3)] + [Channel(EMITTERS[e][0], 3, home=256 ** 3 - 1, Emitter=e) for e in
                              ("Red", "Green", "Blue", "Amber", "White", "Ultraviolet")])]),
    Type("avocet-7", "Avocet 7", "Red, amber, lime, green, cyan, blue and indigo; measured at three drives.", SEVEN,
         [("emitters 16 bit", 2, True), ("emitters 16 bit without dimmer", 2, False)], droop=drooping(SEVEN)),
    Type("knot-2", "Knot 2", "Warm and cool white.", [("Warm white", 7200), ("Cool white", 8800)],
         [("emitters 8 bit", 1, True), ("emitters 16 bit", 2, True)]),
    Type("whimbrel-4", "Whimbrel 4", "Warm and cool white with green and magenta; also by CCT and tint.", WHIMBREL,
         [("emitters 16 bit", 2, True),
          ("CCT tint 16 bit", [Channel("Dimmer", 2), Channel("CTC", 2, home=32768, physical=(2700.0, 6500.0), Gamut="All", ColorSpace="Own"),
                               Channel("Tint", 2, home=32768, highlight=32768, physical=(-0.02, 0.02))])],
         gamuts={"All": ["Warm white", "Cool white", "Green", "Magenta"]}, white="0.366800,0.367800,9800"),
    Type("skua-cmy", "Skua", "White-source moving light: cyan, magenta and yellow flags, warm correction, colour wheel.",
         [("Lamp", 62000)],
         [("flags 16 bit", [Channel("Dimmer", 2), Channel("ColorSub_C", 2, highlight=0, Filter="Cyan"),
                            Channel("ColorSub_M", 2, highlight=0, Filter="Magenta"), Channel("ColorSub_Y", 2, highlight=0, Filter="Yellow"),
                            Channel("CTO", 2, highlight=0, Filter="Warm correction"),
                            Channel("Color1", 1, highlight=0, Wheel="Colours", sets=sets(SKUA_WHEEL))]),
          ("flags 8 bit", [Channel("Dimmer", 1), Channel("ColorSub_C", 1, highlight=0, Filter="Cyan"),
                           Channel("ColorSub_M", 1, highlight=0, Filter="Magenta"), Channel("ColorSub_Y", 1, highlight=0, Filter="Yellow"),
                           Channel("CTO", 1, highlight=0, Filter="Warm correction"),
                           Channel("Color1WheelIndex", 1, highlight=0, Wheel="Colours", physical=(0.0, 360.0))]),
          ("flags 16 bit with shutter and zoom",
           [Channel("Dimmer", 2), Channel("Shutter1", 1, home=32, ranges=SHUTTER), Channel("ColorSub_C", 2, highlight=0, Filter="Cyan"),
            Channel("ColorSub_M", 2, highlight=0, Filter="Magenta"), Channel("ColorSub_Y", 2, highlight=0, Filter="Yellow"),
            Channel("CTO", 2, highlight=0, Filter="Warm correction"),
            Channel("Color1", 1, highlight=0, Wheel="Colours", sets=sets(SKUA_WHEEL)), Channel("Zoom", 2, home=16384)])],
         filters=SKUA_FILTERS, wheels={"Colours": SKUA_WHEEL}, source="Lamp", kelvin=7000),
    Type("eider-1000", "Eider 1000", "Tungsten lantern on a dimmer; it warms as it dims.", [("Tungsten", 34000)],
         [("dimmer", [Channel("Dimmer", 1)])], droop=warming(34000), source="Tungsten", kelvin=3200, lamp="Tungsten"),
    Type("eider-scroll", "Eider with scroller", "Tungsten lantern with a scroller of twelve frames.", [("Tungsten", 34000)],
         [("dimmer and scroller", [Channel("Dimmer", 1), Channel("Color1", 1, highlight=0, Wheel="Scroller", sets=sets(SCROLL_FRAMES))])],
         filters=SCROLL_FILTERS, wheels={"Scroller": SCROLL_FRAMES}, droop=warming(34000), source="Tungsten", kelvin=3200,
         lamp="Tungsten"),
]

for t in TYPES:
    t.write(pathlib.Path(sys.argv[1]))
