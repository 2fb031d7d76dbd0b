"""How far the sugar of days may be off: recipes in all their slices at once, each slice by how it was cut, each slip by how it was remembered."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from math import sqrt

from sun_crumb.core.doubt.normal import NINE_IN_TEN
from sun_crumb.core.doubt.sources import weighings
from sun_crumb.core.doubt.spread import Interval, Spread


@dataclass(frozen=True, slots=True)
class EatenOf:
    """What was eaten of one version: the sugar of all its portions [g], the sum of the squares of each portion's [g²], and its recipe's own doubt as a
    part of it."""

    sugar_g: float
    squares: float
    share: float


def share_of(spread: Spread, figure: str) -> float:
    """Return a figure's standard deviation as a part of it; 0 where a recipe holds none of it."""
    held = getattr(spread.totals, figure)
    return spread.sd(figure) / held if held > 0 else 0.0


def sugar_of_days(eaten: Iterable[EatenOf], slips_g: float, slips_squares: float) -> Interval:
    """Return the sugar of some days, and between what it lies nine times in ten.

    Parameters
    ----------
    eaten
        What was eaten of each version.
    slips_g, slips_squares
        The sugar of all slips [g], and the sum of the squares of each [g²].
    """
    eaten = list(eaten)
    slice_sd, slip_sd = weighings()["slice"].sd, weighings()["slip"].sd
    variance = slip_sd**2 * slips_squares
    variance += sum((one.sugar_g * one.share) ** 2 + slice_sd**2 * one.squares for one in eaten)
    value, out = slips_g + sum(one.sugar_g for one in eaten), NINE_IN_TEN * sqrt(variance)
    return Interval(value, max(value - out, 0.0), value + out)
