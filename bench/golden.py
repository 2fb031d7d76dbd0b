"""The golden set: every dessert on every path at every cut, each plan balanced or honestly marked.

Prints one row a dessert: how many plans are balanced, strained and unmet, the largest balanced cut of each path, and the
time; ends with 1 if a plan is out of tolerance and does not say so.
"""

from __future__ import annotations

import statistics
import sys
import time

from bench.desserts import DESSERTS
from sun_crumb.core.errors import NothingToReworkError
from sun_crumb.core.formula import from_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.wish import Goals, paths

CUTS = (0.25, 0.5, 0.75, 1.0)


def is_honest(plan: Plan) -> bool:
    """Return whether everything out of tolerance is told: by the status and by an unmet goal that names it."""
    off = {v.key for b in plan.balance for v in b.verdicts if v.level != "balanced" and v.key != "browning"}
    told = {u.goal for u in plan.unmet}
    return off <= told and (plan.status == "balanced") == (not told - {"diet"})


def main() -> int:
    """Run the whole set and print one table."""
    pantry, dishonest, spent = shipped_pantry(), 0, []
    print(f"{'dessert':<13} balanced strained unmet   largest balanced cut by path" + " " * 12 + "median ms")
    for name, text in DESSERTS.items():
        formula, _ = from_reading(read_recipe(text, pantry), pantry)
        counts = dict.fromkeys(("balanced", "strained", "unmet", "refused"), 0)
        best, times = {}, []
        for path in paths():
            for cut in CUTS:
                start = time.perf_counter()
                try:
                    plan = rework(formula, Goals(path=path, cut=cut), pantry)
                except NothingToReworkError:
                    counts["refused"] += 1
                    continue
                times.append(1000 * (time.perf_counter() - start))
                counts[plan.status] += 1
                if plan.status == "balanced":
                    best[path] = cut
                if not is_honest(plan):
                    dishonest += 1
                    print(f"  not told: {name}, {path}, cut {cut}: {plan.status} {[u.goal for u in plan.unmet]}")
        spent += times
        reached = " ".join(f"{p} {100 * best.get(p, 0):.0f}%" for p in paths())
        print(
            f"{name:<13} {counts['balanced']:>8} {counts['strained']:>8} {counts['unmet']:>5}   {reached:<50}"
            f"{statistics.median(times):>7.0f}"
        )
    spent.sort()
    print(f"{len(spent)} plans: median {statistics.median(spent):.0f} ms, p95 {spent[int(0.95 * len(spent))]:.0f} ms")
    return 1 if dishonest else 0


if __name__ == "__main__":
    sys.exit(main())
