#!/usr/bin/env python3
"""Prints, for docs/colour.md, what cameras miss: Truest against Filmed over the whole swatch book.

For each fixture type and camera that ships: median and 95th percentile of the distance of the r, g shares, over all
gels that the type reaches, at 70 % of the brightest; and the same where the camera's colour is exact, to the eye.
    python3 tools/make_camera_table.py build/bin/zelo data
"""
import json
import pathlib
import subprocess
import sys

zelo, data = sys.argv[1], pathlib.Path(sys.argv[2])
TYPES = ["gannet-8", "avocet-7", "tern-6", "plover-5"]


def gels():
    for line in open(next((data / "gels").glob("*.txt")), encoding="utf-8"):
        first = line.split()[:1]
        if first and first[0].isdigit():
            yield first[0]


def matches(kind, *options):
    done = subprocess.run([zelo, "match", kind, *(f"gel:{g}" for g in gels()), "--json", *options],
                          capture_output=True, text=True, check=True)
    return json.loads(done.stdout)["matches"]


def share(values, part):
    values = sorted(values)
    return values[min(len(values) - 1, int(part * len(values)))]


print("| type | camera | gels | Truest: median, 95 % | Filmed: median, 95 % | exact for the camera: gels, Δu′v′ median, 95 % |")
print("|---|---|---|---|---|---|")
for kind in TYPES:
    for path in sorted((data / "cameras").glob("*.csv")):
        camera = ["--camera", path.stem, "--balance", "cct:3200"]
        truest = matches(kind, *camera, "--intent", "truest")
        filmed = matches(kind, *camera, "--intent", "filmed")
        exact = [m for m in matches(kind, *camera, "--intent", "filmed", "--exact-for", "camera") if m["in_reach"]]
        both = [(t["cameras"][0]["miss"], f["cameras"][0]["miss"]) for t, f in zip(truest, filmed)
                if f["in_reach"] and f["cameras"][0]["miss"] is not None]
        before, after, eye = [b for b, _ in both], [a for _, a in both], [m["miss_uv"] for m in exact]
        print(f"| {kind} | {path.stem} | {len(both)} | {share(before, .5):.4f}, {share(before, .95):.4f} "
              f"| {share(after, .5):.4f}, {share(after, .95):.4f} "
              f"| {len(exact)}, {share(eye, .5):.4f}, {share(eye, .95):.4f} |")
