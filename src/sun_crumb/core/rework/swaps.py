"""Swaps that are much work, and whether they are worth it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.solving.together import Share, Solved, solve


def without_small_swaps(problems: Sequence[Problem], found: list[Solved], share: Share) -> list[Solved]:
    """Return the amounts without swaps that are much work, where nearly as much sugar goes without them: no home-made crumb for a twentieth of it."""
    used = [
        row.addition.worth
        for one in found
        for row, grams in zip(one.problem.rows, one.grams, strict=True)
        if row.addition is not None and row.addition.worth and grams > 0
    ]
    if not used:
        return found
    plain = solve([replace(p, additions=[a for a in p.additions if not a.worth]) for p in problems], share)
    if plain is None:
        return found
    before = sum(p.counted_before for p in problems) + share.left_g
    return plain if sugar_left(plain) - sugar_left(found) <= max(used) * before else found


def sugar_left(solved: Sequence[Solved]) -> float:
    """Return the sugar to cut that the solved components hold [g]."""
    return sum(float(one.problem.counted @ np.array(one.grams)) for one in solved)
