"""Two thousand plans for random wishes on desserts that nobody tuned for, each held against the rules of a baker.

Prints how many plans break which rule, with the first of each; ends with 1 if any does.
"""

from __future__ import annotations

import sys
from collections import Counter

from tests.support.believed import faults, wish

from bench.desserts import DESSERTS
from bench.unseen import UNSEEN
from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import from_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.rework import rework

COUNT = 2000


def main(count: int = COUNT, start: int = 5000) -> int:
    """Make the plans and print what breaks."""
    pantry = shipped_pantry()
    texts = [*DESSERTS.values(), *(text for text, _ in UNSEEN)]
    formulas = [from_reading(read_recipe(text, pantry), pantry)[0] for text in texts]
    broken: Counter[str] = Counter()
    status: Counter[str] = Counter()
    seed = start
    while sum(status.values()) < count:
        formula, goals = formulas[seed % len(formulas)], wish(seed)
        seed += 1
        try:
            plan = rework(formula, goals, pantry)
        except CoreError:
            continue
        status[plan.status] += 1
        for told in faults(formula, goals, plan):
            rule = told.split(":")[0]
            broken[rule] += 1
            if broken[rule] <= 3:
                print(f"  {seed - 1}: {formula.title}, {goals.path} {goals.cut:.0%} {'/'.join(goals.diets)}: {told}")
    print(f"{sum(status.values())} plans: {dict(status)}; rules broken: {dict(broken) or 'none'}")
    return 1 if broken else 0


if __name__ == "__main__":
    sys.exit(main(*(int(word) for word in sys.argv[1:])))
