#!/usr/bin/env python3
"""Writes data/fixtures/NAME/: the fixture types that ship, invented, as unpacked GDTF 1.2 folders.

Emitters come from line shapes of light-emitting diodes and phosphors; power from plausible efficacies.
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
}


def xyz(shape):
    s = [sum(shape(nm) * row[i] for nm, row in ((int(r[0]), r) for r in CMF)) for i in (1, 2, 3)]
    return s


class Type:
    def __init__(self, folder, name, text, emitters, modes, square=False):
        self.folder, self.name, self.text, self.square = folder, name, text, square
        self.emitters, self.modes = emitters, modes  # [(emitter, candela)], [(mode, bytes, dimmer)]

    def attributes(self):
        rows = ['<Attribute Feature="Dimmer.Dimmer" Name="Dimmer" PhysicalUnit="LuminousIntensity" Pretty="Dim"/>']
        for e, cd in self.emitters:
            x, y, z = xyz(EMITTERS[e][1])
            rows.append(f'<Attribute ActivationGroup="ColorRGB" Color="{x / (x + y + z):.6f},{y / (x + y + z):.6f},{cd}.0" '
                        f'Feature="Color.RGB" Name="{EMITTERS[e][0]}" PhysicalUnit="ColorComponent" Pretty="{e}"/>')
        return rows

    def emitter_rows(self):
        for e, cd in self.emitters:
            shape = EMITTERS[e][1]
            x, y, z = xyz(shape)
            peak = max(range(380, 781), key=shape)
            yield (f'<Emitter Color="{x / (x + y + z):.6f},{y / (x + y + z):.6f},{cd}.0" '
                   f'DominantWaveLength="{peak}.0" Name="{e}">')
            yield f' <Measurement InterpolationTo="Linear" LuminousIntensity="{cd}.0" Physical="100.0">'
            # W/(sr nm): scaled so that the luminous intensity is the one stated
            watts = cd / (683 * y)
            for nm in NM:
                yield f'  <MeasurementPoint Energy="{watts * shape(nm):.6g}" WaveLength="{nm}"/>'
            yield " </Measurement>"
            yield "</Emitter>"

    def mode_rows(self, mode, size, dimmer):
        offset = 1
        top = 256 ** size - 1
        yield f'<DMXMode Description="" Geometry="Body" Name="{mode}">'
        yield " <DMXChannels>"
        channels = ([("Dimmer", None, 0)] if dimmer else []) + [(EMITTERS[e][0], e, top) for e, _ in self.emitters]
        for attribute, emitter, home in channels:
            slots = ",".join(str(offset + b) for b in range(size))
            offset += size
            link = f' Emitter="{emitter}"' if emitter else ""
            curve = ' DMXProfile="Square law"' if emitter and self.square else ""
            yield (f'  <DMXChannel DMXBreak="1" Geometry="Beam" Highlight="{top}/{size}" '
                   f'InitialFunction="Beam_{attribute}.{attribute}.{emitter or attribute} 1" Offset="{slots}">')
            yield (f'   <LogicalChannel Attribute="{attribute}" DMXChangeTimeLimit="0.0" '
                   f'Master="{"None" if emitter else "Grand"}" MibFade="0.0" Snap="No">')
            yield (f'    <ChannelFunction Attribute="{attribute}" DMXFrom="0/{size}" Default="{home}/{size}"{link}{curve} '
                   f'Name="{emitter or attribute} 1" OriginalAttribute="" PhysicalFrom="0.0" PhysicalTo="1.0" '
                   f'RealAcceleration="0.0" RealFade="0.0"/>')
            yield "   </LogicalChannel>"
            yield "  </DMXChannel>"
        yield " </DMXChannels>"
        yield " <Relations/>"
        yield " <FTMacros/>"
        yield "</DMXMode>"

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
             '    <FeatureGroup Name="Color" Pretty="Color"><Feature Name="RGB"/></FeatureGroup>',
             "   </FeatureGroups>", "   <Attributes>"]
        o += ["    " + r for r in self.attributes()]
        o += ["   </Attributes>", "  </AttributeDefinitions>", "  <Wheels/>", "  <PhysicalDescriptions>", "   <Emitters>"]
        o += ["    " + r for r in self.emitter_rows()]
        o += ["   </Emitters>", "   <Filters/>", '   <ColorSpace Mode="sRGB" Name="Default"/>',
              "   <AdditionalColorSpaces/>", "   <Gamuts/>"]
        if self.square:
            o += ["   <DMXProfiles>", '    <DMXProfile Name="Square law">',
                  '     <Point CFC0="0.0" CFC1="0.0" CFC2="0.01" CFC3="0.0" DMXPercentage="0.0"/>',
                  "    </DMXProfile>", "   </DMXProfiles>"]
        else:
            o += ["   <DMXProfiles/>"]
        o += ["   <CRIs/>", "   <Connectors/>", "  </PhysicalDescriptions>", "  <Models/>", "  <Geometries>",
              '   <Geometry Name="Body" Position="{1,0,0,0}{0,1,0,0}{0,0,1,0}{0,0,0,1}">',
              '    <Beam BeamAngle="25.0" BeamRadius="0.05" BeamType="Wash" ColorRenderingIndex="80" '
              'ColorTemperature="6000.0" FieldAngle="30.0" LampType="LED" LuminousFlux="8000.0" Name="Beam" '
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
]

for t in TYPES:
    t.write(pathlib.Path(sys.argv[1]))
