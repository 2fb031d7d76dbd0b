"""One component to rebalance: its lines, what may come in, and how far each may go."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field, replace

import numpy as np
import numpy.typing as npt

from sun_crumb.core.balance import QUANTITIES, Family, Gauge, contribution_row, gauges, sweetened
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.candidates import SWEETENER_KINDS
from sun_crumb.core.offers.moves import Move, counted_per_gram, move_of
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.reference import constant
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


@dataclass(frozen=True, slots=True)
class Problem:
    """One component to rebalance: its lines, what may come in, and how far each may go.

    ``allowed`` is what the component may hold at most, by LIMITS' names: energy [kcal], free sugar [g], cost;
    ``seasoned`` why a line's amount is set for its flavour, by row; ``share`` the part of a portion's limits of sittings.csv that is this component's.

    What follows from these is worked out once, in the order of the original's lines and then the additions: ``rows`` as
    lines, additions at 0 g; ``moves`` how far each may go, None where it does not move or comes in; ``untouched`` what each
    is when nothing changes it: as in the original, as much as it stands in for, or 0 [g]; ``per_gram`` what 1 g adds to each of the QUANTITIES
    (rows x quantities); ``counted`` the sugar to cut in 1 g. ``before`` is the original's QUANTITIES, ``counted_before``
    its sugar to cut [g], ``cuttable_g`` the sweeteners that hold it, ``gauges`` what is judged,
    ``sittings`` for each of those limits that matters what 1 g brings [g] and the most that may come in [g].
    """

    formula: Formula
    family: Family
    goals: Goals
    additions: list[Addition]
    locks: dict[int, float]
    allowed: dict[str, float]
    share: float = 1.0
    seasoned: dict[int, str] = field(default_factory=dict)
    rows: list[FormulaLine] = field(init=False, repr=False)
    moves: list[Move | None] = field(init=False, repr=False)
    untouched: list[float] = field(init=False, repr=False)
    per_gram: Matrix = field(init=False, repr=False, compare=False)
    counted: Matrix = field(init=False, repr=False, compare=False)
    before: dict[str, float] = field(init=False, repr=False)
    counted_before: float = field(init=False)
    cuttable_g: float = field(init=False)
    gauges: list[Gauge] = field(init=False, repr=False)
    sittings: list[tuple[Matrix, float]] = field(init=False, repr=False, compare=False)

    def __post_init__(self) -> None:
        old, definition = self.formula.lines, self.goals.counted
        moves = [move_of(line, definition, self.family) for line in old] + [a.move for a in self.additions]
        rows = [*old, *(self._added(a, 0.0) for a in self.additions)]
        originals = [*(line.grams for line in old), *([0.0] * len(self.additions))]
        counted = np.array([counted_per_gram(line, definition) for line in rows])
        derived = {
            "rows": rows,
            "moves": moves,
            "untouched": [*(line.grams for line in old), *(a.base_g for a in self.additions)],
            "per_gram": np.array([contribution_row(line.ingredient, line.is_inclusion) for line in rows]),
            "counted": counted,
            "sittings": self._sittings(),
            "counted_before": float(counted @ np.array(originals)),
            "cuttable_g": sum(line.grams for line, move in zip(old, moves, strict=False) if move and move.is_cut),
        }
        for name, value in derived.items():
            object.__setattr__(self, name, value)
        object.__setattr__(self, "before", self.quantities_at(originals))
        object.__setattr__(self, "gauges", gauges(self.family, self.before, self.goals.wanted_sweetness))

    def _sittings(self) -> list[tuple[Matrix, float]]:
        """One limit for all that hold it: two sweeteners of the same kind don't make a portion go down easier."""
        found = []
        share = self.share * self.goals.sitting_share
        for sitting in sittings():
            brought = [sitting.held_per_gram(a.ingredient.per_100g) for a in self.additions]
            if any(brought):
                asked = sum(a.asked_g * h for a, h in zip(self.additions, brought, strict=True))
                row = np.array([0.0] * len(self.formula.lines) + brought)
                found.append((row, max(sitting.most_g * self.formula.servings * share, asked)))
        return found

    @property
    def caps(self) -> dict[str, float]:
        """The most of each kind of sweetener, as a share of the batter: the family's, or what the baker has set."""
        return self.family.caps | self.goals.caps

    def lines_at(self, grams: list[float]) -> list[FormulaLine]:
        """Return the component's lines at these amounts: the original's first, then the additions [g]."""
        return [line.at(g) if g != line.grams else line for line, g in zip(self.rows, grams, strict=True)]

    def quantities_at(self, grams: list[float]) -> dict[str, float]:
        """Return the QUANTITIES of the component at these amounts [g], intense sweetness included."""
        return sweetened(dict(zip(QUANTITIES, (np.array(grams) @ self.per_gram).tolist(), strict=True)))

    def _added(self, addition: Addition, grams: float) -> FormulaLine:
        """Return an addition as a line: mixed in, unless it takes the place of something that lies in the crumb whole."""
        if addition.replaces is not None:
            return replace(self.formula.lines[addition.replaces], ingredient=addition.ingredient, grams=grams, text="")
        if (
            addition.set_g is not None
            and not addition.is_sweetener
            and addition.ingredient.has_role("nut", "chocolate")
        ):
            # Nuts or chips that the baker wants in lie in the crumb whole.
            return FormulaLine(addition.ingredient, grams, self.formula.lines[0].component)
        return FormulaLine(addition.ingredient, grams, self.formula.lines[0].component, True)


def bounds(problem: Problem) -> list[tuple[float, float]]:
    """Return the least and most of each amount [g]: how far its line may move, what the additions may come to."""
    found = []
    for position, line in enumerate(problem.formula.lines):
        move = problem.moves[position]
        if position in problem.locks:
            found.append((problem.locks[position],) * 2)
        elif move is None:
            found.append((line.grams, line.grams))
        else:
            found.append((move.low * line.grams, move.high * line.grams))
    for addition in problem.additions:
        if addition.set_g is not None:
            found.append((addition.set_g,) * 2)
            continue
        if addition.kind == "stand_in":
            low, high = (addition.move.low, addition.move.high) if addition.move else (1.0, 1.0)
            found.append((low * addition.base_g, high * addition.base_g))
            continue
        if addition.replaces is not None:
            grams = problem.formula.lines[addition.replaces].grams
            found[addition.replaces] = (0.0, grams)
            found.append((0.0, grams))
            continue
        cap = problem.caps.get({**SWEETENER_KINDS, "filler": "filler", "dry": "filler"}.get(addition.kind, ""), 0.5)
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
