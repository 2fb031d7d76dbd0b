"""The doubt of a recipe and of a plan, as they are shown: each figure of a portion with its interval, and what would narrow it."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.doubt.likely import Likely, likely_as_sweet
from sun_crumb.core.doubt.narrowing import Narrowing, narrowing
from sun_crumb.core.doubt.spread import FIGURES, Interval, Spread, spread_of
from sun_crumb.core.formula import Formula


@dataclass(frozen=True, slots=True)
class DoubtedFigure:
    """A figure of one portion: its name, its value, and between what it lies nine times in ten."""

    key: str
    value: float
    low: float
    high: float


@dataclass(frozen=True, slots=True)
class Doubted:
    """What a portion holds with its doubts; ``narrowing`` is of its free sugar, or of all sugars where it has none."""

    figures: tuple[DoubtedFigure, ...]
    narrowing: tuple[Narrowing, ...]

    def interval(self, figure: str) -> Interval:
        """Return the interval of one figure of FIGURES."""
        found = next(one for one in self.figures if one.key == figure)
        return Interval(found.value, found.low, found.high)


@dataclass(frozen=True, slots=True)
class PlanDoubt:
    """The doubts of a plan: of a portion before and after, and how likely it is as sweet as asked."""

    before: Doubted
    after: Doubted
    as_sweet: Likely | None


def spread_of_portions(
    formula: Formula, told: Sequence[str | None] | None = None, learned: Mapping[str, float] | None = None
) -> Spread:
    """Return the doubt of all that a formula's portions hold together: of a component made for more, their part.

    Parameters
    ----------
    formula
        The recipe.
    told, learned
        As for spread_of.
    """
    lines = [
        replace(x, grams=x.grams * formula.servings / formula.enough_for(x.component)) if formula.own_yields else x
        for x in formula.lines
    ]
    return spread_of(lines, told, learned)


def doubted(spread: Spread, servings: int) -> Doubted:
    """Return the doubts of one of so many equal portions."""
    figures = []
    for key in FIGURES:
        one = spread.interval(key, 1 / servings)
        figures.append(DoubtedFigure(key, one.value, one.low, one.high))
    figure = "free_sugars_who_g" if spread.totals.free_sugars_who_g > 0 else "total_sugars_g"
    return Doubted(tuple(figures), narrowing(spread, figure))


def doubt_of(formula: Formula, learned: Mapping[str, float] | None = None) -> Doubted:
    """Return the doubts of one portion of a recipe as it is written.

    Parameters
    ----------
    formula
        The recipe.
    learned
        Standard deviations of what tastings taught of foods' sweetness, by pantry key.
    """
    return doubted(spread_of_portions(formula, learned=learned), formula.servings)


def doubt_of_plan(
    before: Formula,
    after: Formula,
    told: Sequence[str | None],
    wanted: float,
    learned: Mapping[str, float] | None = None,
) -> PlanDoubt:
    """Return the doubts of a plan.

    Parameters
    ----------
    before, after
        The original and the plan.
    told
        How the plan tells each amount of *after*; None where a line is as it was.
    wanted
        Sweetness asked for, as a share of the original's.
    learned
        As for doubt_of.
    """
    one, two = spread_of_portions(before, learned=learned), spread_of_portions(after, told, learned)
    return PlanDoubt(doubted(one, before.servings), doubted(two, after.servings), likely_as_sweet(one, two, wanted))
