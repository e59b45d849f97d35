#!/usr/bin/env python3
"""Reads Google Benchmark's JSON on stdin; prints cost by number of emitters and ratios beside the bounds.

Exit 1 when a bound is missed.
"""
import json
import sys

# what is compared: (ours, the package, at least this many times, with so many emitters)
PAIRS = [("brightest", "glpk", 100, 8), ("truest", "nlopt", 20, 8), ("search", "plain loops", 20, 4)]
# the work of a show: at most this long, ms
WORK = {"colour change": 4, "two of Kindest": 40, "two of Truest": 8, "book on 12 types": 100, "route": 10, "frame of 512": 1, "512 live solves": 20, "gradient change": 20, "frame/512": 1,
        "frame/2000": 4, "ripple frame/512": 1, "take over of 2000": 4, "first compile": 2000, "compile one edit": 50,
        "stage picture": 1000 / 30}

SCALE = {"ns": 1, "us": 1e3, "ms": 1e6}
times = {}
work = {}
labels = {}  # of them: which fixture type
for row in json.load(sys.stdin)["benchmarks"]:
    if row.get("run_type") == "aggregate":
        continue
    took = row["cpu_time"] * SCALE[row["time_unit"]]
    name = row["run_name"].split("/repeats")[0].split("/iterations")[0]
    # The quickest of the repetitions: what else the machine does only ever makes a run slower.
    if name.startswith("work/"):
        labels[name[5:]] = row.get("label", "")
        work[name[5:]] = min(took, work.get(name[5:], float("inf")))
        continue
    name, emitters = name.rsplit("/", 1)
    own = times.setdefault(name, {})
    own[int(emitters)] = min(took, own.get(int(emitters), float("inf")))  # ns

columns = [n for n in times if len(times[n]) > 1]
if "picture/ours" in times:
    share = times["picture/ours"][40] / times["picture/Eigen"][40]
print("emitters  " + "".join(f"{n:>18}" for n in columns))
for count in range(3, 17):
    cells = [times[n].get(count) for n in columns]
    print(f"{count:>8}  " + "".join(f"{c:>15.0f} ns" if c else f"{'':>18}" for c in cells))

missed = False
print()
for ours, package, bound, emitters in PAIRS:
    own, other = times[f"{ours}/ours"], times[f"{ours}/{package}"]
    ratios = {c: other[c] / own[c] for c in own if c in other}
    ok = ratios[emitters] >= bound
    missed |= not ok
    print(f"{ours}: {ratios[emitters]:.0f} times {package} with {emitters} emitters "
          f"(at least {bound}: {'holds' if ok else 'MISSED'}); "
          f"{min(ratios.values()):.0f} to {max(ratios.values()):.0f} over all counts")
cost = {c: times["filmed/ours"][c] / times["truest/ours"][c] for c in times["filmed/ours"] if c > 3}
ok = max(cost.values()) <= 2
missed |= not ok
print(f"filmed: {max(cost.values()):.1f} times truest where it is most (at most 2: {'holds' if ok else 'MISSED'}); "
      f"{min(cost.values()):.1f} where it is least")
per_second = 1e9 / times["brightest/ours"][8]
ok = per_second >= 1e6
missed |= not ok
print(f"brightest: {per_second / 1e6:.1f} million a second with 8 emitters (at least 1: {'holds' if ok else 'MISSED'})")
if "picture/ours" in times:
    print(f"stage picture of 40 lamps: {share:.1f} times the time of the bare sum as a product of matrices")
for name, bound in WORK.items():
    # One number, or one for each fixture type: then the slowest counts.
    of = {n: t for n, t in work.items() if n == name or n.startswith(name + "/")}
    slowest = max(of, key=of.get)
    took = of[slowest] / 1e6
    ok = took <= bound
    missed |= not ok
    which = f", {labels[slowest]}" if labels.get(slowest) else ""
    print(f"{name}{which}: {took:.2f} ms (at most {bound}: {'holds' if ok else 'MISSED'})")
sys.exit(missed)
