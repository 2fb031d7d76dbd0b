"""How long a dessert takes on another base, and what its doubt and its offers cost, beside a plan of the same run.

Run as ``python -m bench.recasting``.
"""

from __future__ import annotations

import statistics
import time
from collections.abc import Callable
from math import nan

from bench.conventional import DESSERTS
from sun_crumb.core.doubt import doubt_of_plan
from sun_crumb.core.errors import CoreError
from sun_crumb.core.exploring import front, others
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.recasting import possible_bases
from sun_crumb.core.rework import rework
from sun_crumb.core.rework.surely import told_amounts
from sun_crumb.core.wish import Goals
from sun_crumb.services.kitchen import read_formula

TIMES = 5


def median_ms(run: Callable[[], object]) -> float:
    """Return the median of several runs after a first [ms]; nan where it can't be had."""
    try:
        run()
    except CoreError:
        return nan
    taken = []
    for _ in range(TIMES):
        start = time.perf_counter()
        run()
        taken.append(1000 * (time.perf_counter() - start))
    return statistics.median(taken)


def main() -> None:
    pantry, us = shipped_pantry(), cup_standard("us")
    rows = []
    print(
        "| dessert | plan ms | on a base | bases offered | doubt | front of 12 | other ways |\n|---|---:|---:|---:|---:|---:|---:|"
    )
    for name, (text, keys) in DESSERTS.items():
        formula = read_formula(text)[0]
        wish = Goals(cut=0.5)
        plan = rework(formula, wish, pantry)
        told = told_amounts(plan.after, plan.lines, us)
        kinds = {b.component: b.family for b in plan.balance}
        row = [
            median_ms(lambda f=formula, w=wish: rework(f, w, pantry)),
            median_ms(lambda f=formula, k=keys[0]: rework(f, Goals(cut=0.5, base=k), pantry)),
            median_ms(lambda f=formula, k=kinds: possible_bases(f, Goals(families=k))),
            median_ms(lambda f=formula, p=plan, t=told: doubt_of_plan(f, p.after, t, 0.9, {})),
            median_ms(lambda f=formula, w=wish: front(f, w, pantry)),
            median_ms(lambda f=formula, w=wish: others(f, w, pantry)),
        ]
        rows.append(row)
        print(f"| {name} | {' | '.join(f'{x:.1f}' for x in row)} |")
    ratios = [statistics.median(r[n] / r[0] for r in rows if r[n] == r[n]) for n in range(1, 6)]
    print(f"| times a plan (median) | 1 | {' | '.join(f'{x:.2f}' for x in ratios)} |")


if __name__ == "__main__":
    main()
