"""Intervals of what a recipe holds, by linear propagation: each source of doubt moves every figure at once."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from math import sqrt

from sun_crumb.core.doubt.normal import NINE_IN_TEN
from sun_crumb.core.doubt.sources import Weighing, known_of, weighing_of
from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.formula.totals import Totals, total
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.reference import constant
from sun_crumb.core.sugars.sweetness import intense_equivalent, linear_sweetness

# The figures that carry an interval, and by which of a food's doubts each goes; a mass goes by its weighing alone.
FIGURES: dict[str, str] = {
    "mass_g": "",
    "energy_kcal": "energy",
    "total_sugars_g": "sugars",
    "refined_sugar_g": "sugars",
    "added_sugars_us_g": "sugars",
    "free_sugars_who_g": "sugars",
    "free_sugars_uk_g": "sugars",
    "sucrose_equivalent_g": "sweet",
}


@dataclass(frozen=True, slots=True)
class Interval:
    """A figure, and between what it lies nine times in ten."""

    value: float
    low: float
    high: float


@dataclass(frozen=True, slots=True)
class Cause:
    """One thing that is not known exactly: a line's amount, or a food's composition."""

    kind: str
    food: Ingredient
    line: int
    weighing: Weighing | None = None


@dataclass(frozen=True, slots=True)
class Spread:
    """What a recipe holds, with how far each cause moves each figure by one standard deviation of its own."""

    totals: Totals
    causes: tuple[Cause, ...]
    moves: Mapping[str, tuple[float, ...]]

    def sd(self, figure: str) -> float:
        """Return a figure's standard deviation, in its own unit, for the whole batch."""
        return sqrt(sum(x * x for x in self.moves[figure]))

    def interval(self, figure: str, share: float = 1.0) -> Interval:
        """Return a figure of a *share* of the batch with its interval.

        Examples
        --------
        >>> spread_of([]).interval("energy_kcal")
        Interval(value=0.0, low=0.0, high=0.0)
        """
        value, out = getattr(self.totals, figure) * share, NINE_IN_TEN * self.sd(figure) * share
        return Interval(value, max(value - out, 0.0), value + out)


def spread_of(
    lines: Iterable[FormulaLine], told: Sequence[str | None] | None = None, learned: Mapping[str, float] | None = None
) -> Spread:
    """Return what *lines* hold with the doubt of every figure.

    Amounts are off by themselves, a food's composition in all its lines at once. The intense sweeteners' curve is taken as straight
    around where it is.

    Parameters
    ----------
    lines
        Weighed lines [g].
    told
        How a plan tells each amount; None for a line's own words.
    learned
        Standard deviations of what tastings taught of foods' sweetness (natural logarithm), by pantry key.

    References
    ----------
    weighing_doubts.csv, composition_doubts.csv; checked against Monte Carlo in tests/core/test_doubt.py
    """
    lines = list(lines)
    whole = total(lines)
    mine = [total([line]) for line in lines]
    sweet = _sweetness(lines, whole)
    causes: list[Cause] = []
    moves: dict[str, list[float]] = {figure: [] for figure in FIGURES}
    for n, line in enumerate(lines):
        way = weighing_of(line, told[n] if told else None)
        causes.append(Cause("weighing", line.ingredient, n, way))
        for figure in FIGURES:
            held = sweet[n] if figure == "sucrose_equivalent_g" else getattr(mine[n], figure)
            moves[figure].append(way.sd * held)
    for food, places in _foods(lines).items():
        causes.append(Cause("composition", food, places[0]))
        known = known_of(food)
        for figure, how in FIGURES.items():
            held = sum(sweet[n] if figure == "sucrose_equivalent_g" else getattr(mine[n], figure) for n in places)
            if how == "sweet" and learned and food.key in learned:
                sd = learned[food.key]
            else:
                sd = getattr(known, how) if how else 0.0
            moves[figure].append(sd * held)
    return Spread(whole, tuple(causes), {figure: tuple(found) for figure, found in moves.items()})


def _foods(lines: Sequence[FormulaLine]) -> dict[Ingredient, list[int]]:
    found: dict[Ingredient, list[int]] = {}
    for n, line in enumerate(lines):
        found.setdefault(line.ingredient, []).append(n)
    return found


def _sweetness(lines: Sequence[FormulaLine], whole: Totals) -> list[float]:
    """Return how much the whole's sweetness moves as each line grows by its own size.

    The intense by the slope of their curve, and every line by the batter that it dilutes them in: their sweetness is of degree one in
    both together, so what is not of the one is of the other.
    """
    intense = [line.ingredient.per_100g.sweet_glycosides_g * line.grams / 100 for line in lines]
    held, mass = sum(intense), whole.mass_g
    slope = _slope(held, mass) if held > 0 else 0.0
    diluted = (intense_equivalent(held, mass) - held * slope) / mass if mass > 0 else 0.0
    return [
        linear_sweetness(line.ingredient.per_100g) * line.grams / 100 + own * slope + line.grams * diluted
        for line, own in zip(lines, intense, strict=True)
    ]


def _slope(glycosides_g: float, batter_g: float) -> float:
    """Return the sucrose that one gram more of glycosides tastes like at this strength [g/g]."""
    litres = batter_g / 1000 * constant("mouth_dilution")
    strength = glycosides_g * 1000 / litres
    top, half = constant("reb_a_maximum"), constant("reb_a_half")
    # d/dC of top C / (half + C), and the units of intense_equivalent.
    return top * half / (half + strength) ** 2 * 10_000
