"""How likely a plan is as sweet as was asked: the ratio of two recipes that share their foods' doubts."""

from __future__ import annotations

from dataclasses import dataclass
from math import log, sqrt

from sun_crumb.core.doubt.normal import NINE_IN_TEN, chance_below
from sun_crumb.core.doubt.spread import Spread
from sun_crumb.core.reference import constant

# A chance in words, from so much up (judgement).
_WORDS = ((0.95, "almost surely"), (0.8, "very likely"), (0.6, "likely"), (0.4, "as likely as not"), (0.0, "hardly"))


@dataclass(frozen=True, slots=True)
class Likely:
    """How sweet a plan is beside its original, between what that lies nine times in ten, and how likely it is as sweet as asked."""

    ratio: float
    low: float
    high: float
    chance: float
    words: str


def likely_as_sweet(before: Spread, after: Spread, wanted: float) -> Likely | None:
    """Return how likely a gram of *after* tastes at least *wanted* times as sweet as a gram of *before*, within what a tongue tells.

    A food's doubt moves both; amounts were measured each for itself. None where the original is not sweet.

    Parameters
    ----------
    before, after
        The doubts of both.
    wanted
        Sweetness asked for, as a share.

    References
    ----------
    constants.csv (sweetness_band)
    """
    one, two = (s.totals.sucrose_equivalent_g for s in (before, after))
    if one <= 0 or two <= 0:
        return None
    ratio = two / after.totals.mass_g / (one / before.totals.mass_g)
    sd = ratio_sd(before, after, "sucrose_equivalent_g", "mass_g")
    least = log(least_ratio(wanted))
    chance = chance_below(least, log(ratio), sd)
    # Nine in ten of a logarithm that is small: nearly the ratio's own.
    out = NINE_IN_TEN * sd
    words = next(told for from_, told in _WORDS if chance >= from_)
    return Likely(
        ratio, ratio * (1 - out), ratio * (1 + out), chance, f"{words} as sweet as asked ({100 * chance:.0f} in 100)"
    )


def least_ratio(wanted: float) -> float:
    """Return the least sweetness beside the original's that still tastes as sweet as *wanted* [share]."""
    return wanted * (1 - constant("sweetness_band"))


def ratio_sd(before: Spread, after: Spread, figure: str, over: str = "") -> float:
    """Return the standard deviation of the logarithm of a figure's ratio, after to before, each *over* another figure where one is named.

    A food's doubt moves both sides, amounts each their own; 0 where one side holds none of it.
    """
    whole = 0.0
    foods: dict[str, float] = {}
    for sign, spread in ((-1.0, before), (1.0, after)):
        held, mass = getattr(spread.totals, figure), getattr(spread.totals, over) if over else 1.0
        if held <= 0 or mass <= 0:
            return 0.0
        below = spread.moves[over] if over else (0.0,) * len(spread.causes)
        for n, cause in enumerate(spread.causes):
            move = spread.moves[figure][n] / held - below[n] / mass
            if cause.kind == "composition":
                foods[cause.food.key] = foods.get(cause.food.key, 0.0) + sign * move
            else:
                whole += move * move
    return sqrt(whole + sum(move * move for move in foods.values()))
