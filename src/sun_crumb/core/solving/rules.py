"""What no plan may break: linear limits on the amounts of one component, the same for the model and for the rounding."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from math import inf
from typing import TYPE_CHECKING

import numpy as np
import numpy.typing as npt

from sun_crumb.core.offers.addition import CAPPED_ROLES, capped_share
from sun_crumb.core.reference import constant
from sun_crumb.core.sugars.sittings import sitting_share

if TYPE_CHECKING:
    from sun_crumb.core.balance.families import Family
    from sun_crumb.core.formula import FormulaLine
    from sun_crumb.core.solving.problem import Problem
    from sun_crumb.core.solving.row import Row

Vector = npt.NDArray[np.float64]
# Erythritol [g] that 1 g of water dissolves at most.
MOST_DISSOLVED = constant("erythritol_solubility")
FRUIT = ("puree", "paste")


@dataclass(frozen=True)
class Rule:
    """``least <= sum(per_gram x amount) <= most`` over the rows of a problem; ``scale`` is what a breach is a part of."""

    key: str
    per_gram: Vector
    least: float
    most: float
    scale: float

    def breach(self, held: float) -> float:
        """Return how far a sum lies outside, as a part of the scale; 0 inside."""
        return max(held - self.most, self.least - held, 0.0) / self.scale


def rules_of(problem: Problem) -> tuple[Rule, ...]:
    """Return what no plan of *problem* may break. What the original holds already, or the baker has set, is no breach."""
    return tuple(rule for rule in _all(problem) if rule is not None and rule.per_gram.any())


def _all(problem: Problem) -> Iterator[Rule | None]:
    for kind in (*CAPPED_ROLES, "filler"):
        yield _cap(problem, kind)
    yield _fruit_together(problem)
    yield _sitting(problem)
    yield _dissolved(problem)
    yield _crystal(problem)
    yield _sugar_for_sugar(problem)
    yield _own(problem)


def _there(problem: Problem, weights: Vector) -> float:
    """Return what the original holds, and the baker has asked for."""
    asked = [row.addition.asked_g if row.addition else row.original_g for row in problem.rows]
    fixed = [row.set_g or 0.0 for row in problem.rows]
    return max(float(weights @ np.array(asked)), float(weights @ np.array(fixed)))


def _cap(problem: Problem, kind: str) -> Rule:
    """Hold what is of one *kind* below its share of the original's batter."""
    weights = np.array([capped_share(row.line, row.addition, kind) for row in problem.rows])
    mass = problem.before["mass"]
    return Rule(kind, weights, -inf, max(problem.caps[kind] * mass, _there(problem, weights)), max(mass, 1.0))


def _fruit_together(problem: Problem) -> Rule | None:
    """Hold purée and paste together: what is left of the room of one is the room of the other."""
    mass, caps = problem.before["mass"], problem.caps
    room = {kind: caps[kind] * mass for kind in FRUIT}
    if min(room.values()) <= 0:
        return None  # each by itself is held already
    weights = sum(
        (np.array([capped_share(row.line, row.addition, kind) for row in problem.rows]) / room[kind] for kind in FRUIT),
        np.zeros(len(problem.rows)),
    )
    return Rule("fruit", weights, -inf, max(1.0, _there(problem, weights)), 1.0)


def _sitting(problem: Problem) -> Rule:
    """Hold all that the gut minds together: each kind's part of its limit, the recipe's own included, comes to 1 at most."""
    weights = np.array([sitting_share(row.line.ingredient.per_100g) for row in problem.rows])
    room = problem.formula.helpings * problem.sitting * problem.goals.sitting_share
    return Rule("sitting", weights, -inf, max(room, _there(problem, weights)), max(room, 1e-6))


def _dissolved(problem: Problem) -> Rule | None:
    """Hold erythritol below what the water dissolves, where it is not ground."""
    new = [row.line.ingredient for row in problem.rows if row.addition is not None]
    if is_ground(problem.family, problem.formula.lines) or not any(x.per_100g.erythritol_g > 50 for x in new):
        return None
    held = [row.line.ingredient.per_100g for row in problem.rows]
    water = np.array([MOST_DISSOLVED * c.water_g / 100 for c in held])
    untouched = np.array([row.untouched_g for row in problem.rows])
    # More flour or butter is no way to dissolve it, though both hold a little water.
    is_dry = np.array([row.line.ingredient.has_role("flour", "fat", "nut", "starch") for row in problem.rows])
    weights = np.array([c.erythritol_g / 100 for c in held]) - np.where(is_dry, 0.0, water)
    there = float(np.where(is_dry, water, 0.0) @ np.array([_least_g(row) for row in problem.rows]))
    return Rule(
        "dissolved", weights, -inf, max(float(weights @ untouched) + there, there), max(problem.before["mass"], 1.0)
    )


def is_ground(family: Family, lines: Sequence[FormulaLine]) -> bool:
    """Return whether a sweetener goes in ground and need not dissolve: in this kind of dessert, or where most of the sugar of *lines* is icing sugar."""
    sugars = [line for line in lines if line.ingredient.has_role("sugar") and not line.ingredient.has_role("syrup")]
    icing = sum(line.grams for line in sugars if line.ingredient.key == "icing_sugar")
    return "ground" in family.traits or 2 * icing > sum(line.grams for line in sugars)


def _least_g(row: Row) -> float:
    """Return the least that may be left of a row [g]."""
    if row.set_g is not None:
        return row.set_g
    return row.untouched_g * (min(row.move.low, 1.0) if row.move is not None else 1.0)


def _own(problem: Problem) -> Rule | None:
    """Keep the part of the recipe's own sugar that nothing else whips or dries like, unless the baker has set less of it."""
    own = np.array([float(row.addition is None and row.is_cut) for row in problem.rows])
    sugars = np.array([row.line.ingredient.per_100g.total_sugars_g / 100 for row in problem.rows])
    return _floor(problem, "own", own * sugars, problem.family.own_floor)


def _crystal(problem: Problem) -> Rule | None:
    """Keep the crystal sugar that is the structure, unless the baker has set less of it."""
    weights = np.array([problem.crystal_per_gram(row.line.ingredient) for row in problem.rows])
    return _floor(problem, "crystal", weights, problem.family.crystal_floor)


def _sugar_for_sugar(problem: Problem) -> Rule | None:
    """Let dry sugar of another kind come in at most as much as sugar goes: 80 g of date sugar for 54 g of icing sugar is no cut."""
    new = np.array([float(row.is_new_sweetener and _is_dry_sugar(row)) for row in problem.rows])
    if not new.any():
        return None
    cut = np.array([float(row.is_cut) for row in problem.rows])
    held = float(cut @ np.array([row.original_g for row in problem.rows]))
    return Rule("sugar", new + cut, -inf, max(held, _there(problem, new + cut)), max(held, 1.0))


def _is_dry_sugar(row: Row) -> bool:
    per = row.line.ingredient.per_100g
    return per.total_sugars_g > DRY_SUGAR_G and per.water_g < DRY_WATER_G


# A sweetener of more sugar than this, and less water, goes weight for weight [g in 100 g] (judgement).
DRY_SUGAR_G, DRY_WATER_G = 50.0, 15.0


def _floor(problem: Problem, key: str, weights: Vector, share: float) -> Rule | None:
    """Hold a sum above its share of the original's; none where there is none of it, or the baker has set less."""
    original = float(weights @ np.array([row.original_g for row in problem.rows]))
    is_set_below = any(
        row.lock_g is not None and row.lock_g < row.original_g and weight
        for row, weight in zip(problem.rows, weights, strict=True)
    )
    return None if not share or not original or is_set_below else Rule(key, weights, share * original, inf, original)
