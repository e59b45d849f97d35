#!/usr/bin/env python3
"""Reads Google Benchmark's JSON on stdin; prints cost by number of emitters and ratios beside the bounds.

Exit 1 when a bound is missed.
"""
import json
import sys

# what is compared: (ours, the package, at least this many times, bound for 8 emitters)
PAIRS = [("brightest", "glpk", 100), ("truest", "nlopt", 20)]

times = {}
for row in json.load(sys.stdin)["benchmarks"]:
    if row.get("run_type") == "aggregate":
        continue
    name, emitters = row["run_name"].split("/repeats")[0].rsplit("/", 1)
    # The quickest of the repetitions: what else the machine does only ever makes a run slower.
    own = times.setdefault(name, {})
    own[int(emitters)] = min(row["cpu_time"], own.get(int(emitters), float("inf")))  # ns

print("emitters  " + "".join(f"{n:>18}" for n in times))
for count in range(3, 17):
    cells = [times[n].get(count) for n in times]
    print(f"{count:>8}  " + "".join(f"{c:>15.0f} ns" if c else f"{'':>18}" for c in cells))

missed = False
print()
for ours, package, bound in PAIRS:
    own, other = times[f"{ours}/ours"], times[f"{ours}/{package}"]
    ratios = {c: other[c] / own[c] for c in own if c in other}
    ok = ratios[8] >= bound
    missed |= not ok
    print(f"{ours}: {ratios[8]:.0f} times {package} with 8 emitters (at least {bound}: {'holds' if ok else 'MISSED'}); "
          f"{min(ratios.values()):.0f} to {max(ratios.values()):.0f} over all counts")
per_second = 1e9 / times["brightest/ours"][8]
ok = per_second >= 1e6
missed |= not ok
print(f"brightest: {per_second / 1e6:.1f} million a second with 8 emitters (at least 1: {'holds' if ok else 'MISSED'})")
sys.exit(missed)
