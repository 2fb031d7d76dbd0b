"""One component to rebalance: its lines, what may come in, and how far each may go."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

from sun_crumb.core.balance import Family, measure
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.rework.candidates import SWEETENER_KINDS, Addition, counted_per_gram, is_cuttable, move_of
from sun_crumb.core.rework.goals import Goals
from sun_crumb.core.rework.solver import INFINITY
from sun_crumb.core.sugars.sweetness import linear_sweetness

# On the blend path no one sweetener carries more than its share of what is cut, up to a cut that leaves a choice.
BLEND_SHARE, BLEND_UP_TO = 0.55, 0.6
# What a portion may be held below: each line's part per gram.
LIMITS: dict[str, Callable[[FormulaLine], float]] = {
    "energy": lambda line: line.ingredient.per_100g.energy_kcal / 100,
    "free_sugar": lambda line: counted_per_gram(line, "free_sugars_who_g"),
}


@dataclass(frozen=True, slots=True)
class Problem:
    """One component to rebalance: its lines, what may come in, and the original's quantities.

    ``allowed`` is what the component may hold at most, by LIMITS' names: energy [kcal], free sugar [g].
    """

    formula: Formula
    family: Family
    goals: Goals
    additions: list[Addition]
    locks: dict[int, float]
    before: dict[str, float]
    counted_before: float
    allowed: dict[str, float]
    cuttable_g: float

    def lines_at(self, grams: list[float]) -> list[FormulaLine]:
        """Return the component's lines at these amounts: the original's first, then the additions [g]."""
        old = self.formula.lines
        found = [line.at(g) for line, g in zip(old, grams, strict=False)]
        found += [self._added(a, g) for a, g in zip(self.additions, grams[len(old) :], strict=True)]
        return found

    def _added(self, addition: Addition, grams: float) -> FormulaLine:
        """Return an addition as a line: mixed in, unless it takes the place of something that lies in the crumb whole."""
        if addition.replaces is not None:
            return replace(self.formula.lines[addition.replaces], ingredient=addition.ingredient, grams=grams, text="")
        return FormulaLine(addition.ingredient, grams, self.formula.lines[0].component, True)


def problem_of(
    formula: Formula,
    family: Family,
    goals: Goals,
    extra: list[Addition],
    locks: dict[int, float],
    allowed: dict[str, float],
) -> Problem:
    """Return the problem of one component."""
    cuttable = sum(line.grams for line in formula.lines if is_cuttable(line, goals.counted))
    counted = sum(counted_per_gram(line, goals.counted) * line.grams for line in formula.lines)
    return Problem(formula, family, goals, extra, locks, measure(formula.lines), counted, allowed, cuttable)


def bounds(problem: Problem) -> list[tuple[float, float]]:
    """Return the least and most of each amount [g]: how far its line may move, what the additions may come to."""
    found = []
    for position, line in enumerate(problem.formula.lines):
        move = move_of(line, problem.goals.counted)
        if position in problem.locks:
            found.append((problem.locks[position],) * 2)
        elif move is None:
            found.append((line.grams, line.grams))
        else:
            found.append((move.low * line.grams, move.high * line.grams))
    for addition in problem.additions:
        if addition.replaces is not None:
            grams = problem.formula.lines[addition.replaces].grams
            found[addition.replaces] = (0.0, grams)
            found.append((0.0, grams))
            continue
        cap = problem.family.caps.get(
            {**SWEETENER_KINDS, "filler": "filler", "dry": "filler"}.get(addition.kind, ""), 0.5
        )
        most = min(min(cap, addition.most_share or cap) * problem.before["mass"], fair_share(problem, addition))
        found.append((0.0, max(most, addition.least_g)))
    return found


def fair_share(problem: Problem, addition: Addition) -> float:
    """Return the most of a sweetener [g] on the blend path, where others are at hand: its share of what is cut."""
    goals = problem.goals
    others = sum(a.is_sweetener for a in problem.additions) > 1
    wished = addition.is_wished or addition.is_required or addition.ingredient.key in problem.family.stand_ins
    if goals.path != "blend" or not others or wished or not addition.is_sweetener or goals.wanted_cut > BLEND_UP_TO:
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
    if c.glycosides_g > 10:
        return 0.004
    if c.glycosides_g and addition.kind == "bulk":
        return 1.0
    sweet = linear_sweetness(c) / 100
    return min(1 / sweet, 3.0) if sweet > 0.05 else 3.0
