"""One component to rebalance: its lines, what may come in, and how far each may go."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace
from functools import cached_property

import numpy as np
import numpy.typing as npt

from sun_crumb.core.balance import QUANTITIES, Family, Gauge, contribution_row, gauges, sweetened
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.moves import counted_per_gram, move_of
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.reference import constant
from sun_crumb.core.solving.row import Row
from sun_crumb.core.solving.solver import INFINITY
from sun_crumb.core.sugars.sittings import sittings
from sun_crumb.core.sugars.sweetness import linear_sweetness
from sun_crumb.core.wish.goals import Goals

Matrix = npt.NDArray[np.float64]

# On the blend path no one sweetener carries more than its share of what is cut, up to a cut that leaves a choice.
BLEND_SHARE, BLEND_UP_TO = 0.55, 0.6
# What a portion may be held below: each line's part per gram.
LIMITS: dict[str, Callable[[FormulaLine, Goals], float]] = {
    "energy": lambda line, _: line.ingredient.per_100g.energy_kcal / 100,
    "free_sugar": lambda line, _: counted_per_gram(line, "free_sugars_who_g"),
    "cost": lambda line, goals: goals.prices.get(line.ingredient.key, 0.0) / 1000,
}


# Erythritol [g] that 1 g of water dissolves at most.
MOST_DISSOLVED = constant("erythritol_solubility")


@dataclass(frozen=True)
class Problem:
    """One component to rebalance: its lines, what may come in, and how far each may go.

    ``allowed`` is what the component may hold at most, by LIMITS' names: energy [kcal], free sugar [g], cost;
    ``locks`` the amounts that are set, by line [g]; ``seasoned`` why one is set for its flavour, by row, the additions after the lines;
    ``share`` the part of a portion's limits of sittings.csv that is this component's.

    What follows from these is worked out once, when it is first asked for.
    """

    formula: Formula
    family: Family
    goals: Goals
    additions: list[Addition]
    locks: dict[int, float]
    allowed: dict[str, float]
    share: float = 1.0
    seasoned: dict[int, str] = field(default_factory=dict)

    @cached_property
    def rows(self) -> tuple[Row, ...]:
        """The recipe's lines in their order, then what may come in."""
        there = [
            Row(
                line,
                move_of(line, self.goals.counted, self.family),
                lock_g=self.locks.get(n),
                seasoning=self.seasoned.get(n, ""),
            )
            for n, line in enumerate(self.formula.lines)
        ]
        new = [
            Row(self._added(a), a.move, a, seasoning=self.seasoned.get(n, ""))
            for n, a in enumerate(self.additions, len(there))
        ]
        return (*there, *new)

    @cached_property
    def per_gram(self) -> Matrix:
        """What 1 g adds to each of the QUANTITIES (rows x quantities)."""
        return np.array([contribution_row(r.line.ingredient, r.line.is_inclusion) for r in self.rows])

    @cached_property
    def counted(self) -> Matrix:
        """The sugar to cut in 1 g of each row [g]."""
        return np.array([counted_per_gram(r.line, self.goals.counted) for r in self.rows])

    @cached_property
    def before(self) -> dict[str, float]:
        """The original's QUANTITIES."""
        return self.quantities_at([r.original_g for r in self.rows])

    @cached_property
    def counted_before(self) -> float:
        """The original's sugar to cut [g]."""
        return float(self.counted @ np.array([r.original_g for r in self.rows]))

    @cached_property
    def cuttable_g(self) -> float:
        """The sweeteners of the original that hold sugar to cut [g]."""
        return sum(r.line.grams for r in self.rows if r.is_cut)

    @cached_property
    def gauges(self) -> list[Gauge]:
        """What is judged."""
        return gauges(self.family, self.before, self.goals.wanted_sweetness)

    @cached_property
    def sittings(self) -> list[tuple[Matrix, float]]:
        """For each limit of a sitting that matters here what 1 g of a row brings [g], and the most that may come in [g].

        One limit for all that hold it: two sweeteners of the same kind don't make a portion go down easier.
        """
        found = []
        share = self.share * self.goals.sitting_share
        for sitting in sittings():
            brought = [
                0.0 if r.addition is None else sitting.held_per_gram(r.addition.ingredient.per_100g) for r in self.rows
            ]
            if any(brought):
                asked = sum(
                    r.addition.asked_g * h for r, h in zip(self.rows, brought, strict=True) if r.addition is not None
                )
                found.append((np.array(brought), max(sitting.most_g * self.formula.servings * share, asked)))
        return found

    @property
    def caps(self) -> dict[str, float]:
        """The most of each kind of sweetener, as a share of the batter: the family's, or what the baker has set."""
        return self.family.caps | self.goals.caps

    def lines_at(self, grams: list[float]) -> list[FormulaLine]:
        """Return the component's lines at these amounts: the original's first, then the additions [g]."""
        return [r.line.at(g) if g != r.line.grams else r.line for r, g in zip(self.rows, grams, strict=True)]

    def quantities_at(self, grams: list[float]) -> dict[str, float]:
        """Return the QUANTITIES of the component at these amounts [g], intense sweetness included."""
        return sweetened(dict(zip(QUANTITIES, (np.array(grams) @ self.per_gram).tolist(), strict=True)))

    def _added(self, addition: Addition) -> FormulaLine:
        """Return an addition as a line of 0 g: mixed in, unless it takes the place of something that lies in the crumb whole."""
        if addition.replaces is not None:
            return replace(self.formula.lines[addition.replaces], ingredient=addition.ingredient, grams=0.0, text="")
        # Nuts or chips that the baker wants in lie in the crumb whole.
        is_whole = (
            addition.set_g is not None
            and not addition.is_sweetener
            and addition.ingredient.has_role("nut", "chocolate")
        )
        return FormulaLine(addition.ingredient, 0.0, self.formula.lines[0].component, not is_whole)


def bounds(problem: Problem) -> list[tuple[float, float]]:
    """Return the least and most of each amount [g]: how far its line may move, what the additions may come to."""
    found: list[tuple[float, float]] = []
    for row in problem.rows:
        addition = row.addition
        if row.set_g is not None:
            found.append((row.set_g,) * 2)
        elif addition is None or addition.kind == "stand_in":
            low, high = (row.move.low, row.move.high) if row.move else (1.0, 1.0)
            found.append((low * row.untouched_g, high * row.untouched_g))
        elif addition.replaces is not None:
            grams = problem.formula.lines[addition.replaces].grams
            found[addition.replaces] = (0.0, grams)
            found.append((0.0, grams))
        else:
            cap = problem.caps.get(addition.cap, 0.5)
            most = min(min(cap, addition.most_share or cap) * problem.before["mass"], fair_share(problem, addition))
            found.append((0.0, max(most, addition.least_g)))
    return found


def fair_share(problem: Problem, addition: Addition) -> float:
    """Return the most of a sweetener [g] on the blend path, where others are at hand: its share of what is cut."""
    goals = problem.goals
    if "shares" not in goals.preset.traits or not addition.is_sweetener or goals.wanted_cut > BLEND_UP_TO:
        return INFINITY
    wished = addition.is_wished or addition.is_required or addition.ingredient.key in problem.family.stand_ins
    if wished or sum(a.is_sweetener for a in problem.additions) < 2:
        return INFINITY
    return BLEND_SHARE * goals.wanted_cut * problem.cuttable_g * least_per_sugar(addition)


def crystal_per_gram(ingredient: Ingredient, family: Family) -> float:
    """Return the sugar in 1 g of an ingredient that can be the structure of this family [g]."""
    c = ingredient.per_100g
    stands_in = (c.maltitol_g + c.allulose_g) / 100 if ingredient.key in family.stand_ins else 0.0
    if not ingredient.has_role("sugar") or ingredient.has_role("syrup"):
        return stands_in
    if family.crystal_kind == "white" and ingredient.group != "refined":
        return stands_in
    return c.sucrose_g / 100 + stands_in


def least_per_sugar(addition: Addition) -> float:
    """Return how many grams of an addition stand for 1 g of sugar by sweetness, for a first dose."""
    c = addition.ingredient.per_100g
    if addition.ingredient.is_strong:
        return 0.004
    if c.glycosides_g and addition.kind == "bulk":
        return 1.0
    sweet = linear_sweetness(c) / 100
    return min(1 / sweet, 3.0) if sweet > 0.05 else 3.0
