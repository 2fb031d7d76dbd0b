"""What a household's tastings teach: how sweet its products are, how sweet it likes things, its oven, its flour's thirst.

Normal beliefs, moved by each answer by as much as it and what was believed before are worth (a Kalman filter). The order of
answers does not matter to where they end but for rounding.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from functools import cache
from math import exp, isfinite, log

import numpy as np

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.reference import constant, table
from sun_crumb.core.sugars.sweetness import intense_equivalent, linear_sweetness

# The household's wish, among the keys of what is learned: how much sweeter than the original it wants things.
PREFERENCE = "preference"
# Less of the sweetness than this teaches nothing about a food [share].
LEAST_SHARE = 0.03
# Nine in ten of a normal belief lie within 1.645; answers are whole words and end at two, which asks for a little more (found by simulation,
# tests/core/test_tasting.py).
Z_90 = 1.75
# The words end here: what is sweeter still is answered with the same one.
LAST_WORD, MOST_PASSES = 2, 5


@cache
def figure(key: str) -> float:
    """Return one of the learner's figures, by learning.csv."""
    return next(float(row["value"]) for row in table("learning") if row["key"] == key)


@dataclass(frozen=True, slots=True)
class Answer:
    """One answer on sweetness: ``value`` from -2 (much too little) to 2 (much too sweet) against the original.

    ``shares`` are the parts of the sweetness that foods give, by pantry key, as their logarithms move it; ``ratio`` is the sweetness that the model
    predicts over that of the original, gram for gram.
    """

    value: float
    shares: Mapping[str, float]
    ratio: float


@dataclass(frozen=True, slots=True)
class Belief:
    """What is believed of one thing: the mean and its standard deviation, and of how many answers."""

    mean: float
    sd: float
    answers: int

    @property
    def interval(self) -> tuple[float, float]:
        """Where it lies nine times in ten."""
        return self.mean - Z_90 * self.sd, self.mean + Z_90 * self.sd

    @property
    def factor(self) -> float:
        """The mean of a logarithm, as a factor."""
        return exp(self.mean)


def learn_sweetness(answers: Iterable[Answer], *, with_preference: bool = True) -> dict[str, Belief]:
    """Return what answers on sweetness teach: the logarithm of each food's factor, and the household's wish.

    Parameters
    ----------
    answers
        Answers in the order they were given.
    with_preference
        Whether the household's own wish is learned beside the products' sweetness.

    Returns
    -------
    dict
        Beliefs by pantry key, and by PREFERENCE; what nobody answered on is not in it.

    Raises
    ------
    OutOfDomainError
        An answer lies outside -2 to 2, or a ratio is not positive.

    Notes
    -----
    z = y ln 1.12 = ln q + sum of a_i theta_i - p + e. Prior: theta 0 with variance 0.09, p 0 with 0.20 as its standard deviation, e with 0.15.

    References
    ----------
    learning.csv; hand-worked cases in tests/core/test_learning.py

    Examples
    --------
    >>> learned = learn_sweetness([Answer(1, {"stevia_extract": 0.6}, 1.0)], with_preference=False)
    >>> round(learned["stevia_extract"].mean, 6), round(learned["stevia_extract"].sd, 6)
    (0.111471, 0.192055)
    """
    given = list(answers)
    for one in given:
        if not -2 <= one.value <= 2:
            raise OutOfDomainError(f"an answer lies between -2 and 2, not at {one.value:g}", field="sweetness")
        if not (isfinite(one.ratio) and one.ratio > 0):
            raise OutOfDomainError("what holds no sweetness can't be compared", field="ratio")
    keys = list(dict.fromkeys(key for one in given for key in one.shares))
    names = [*keys, PREFERENCE] if with_preference and given else keys
    if not names:
        return {}
    prior = [figure("product_variance")] * len(keys) + [figure("preference_sd") ** 2] * (len(names) - len(keys))
    seen = [
        _Seen(
            np.array([one.shares.get(name, -1.0 if name == PREFERENCE else 0.0) for name in names]),
            one.value * log(figure("answer_step")) - log(one.ratio),
            one.value,
        )
        for one in given
    ]
    mean, spread = _filtered(np.diag(prior), seen)
    counts = {key: sum(1 for one in given if key in one.shares) for key in keys} | {PREFERENCE: len(given)}
    return {
        name: Belief(float(mean[n]), float(np.sqrt(spread[n, n])), counts[name])
        for n, name in enumerate(names)
        if counts[name]
    }


@dataclass(frozen=True, slots=True)
class _Seen:
    """An answer as the filter takes it: what it depends on, what it says, and its word."""

    row: np.ndarray
    says: float
    value: float

    def is_beyond(self, mean: np.ndarray) -> bool:
        """Return whether more than the last word was meant, by what all the others say: it then pulls nothing back."""
        return abs(self.value) >= LAST_WORD and (float(self.row @ mean) - self.says) * self.value > 0


def _filtered(prior: np.ndarray, seen: Sequence[_Seen]) -> tuple[np.ndarray, np.ndarray]:
    """Return mean and covariance after all answers, last words left out that the others go beyond."""
    left_out: set[int] = set()
    for _ in range(MOST_PASSES):
        mean, spread = np.zeros(len(prior)), prior
        for n, one in enumerate(seen):
            if n not in left_out:
                mean, spread = _moved(mean, spread, one.row, one.says)
        beyond = {n for n, one in enumerate(seen) if one.is_beyond(mean)}
        if beyond <= left_out:
            break
        left_out |= beyond
    return mean, spread


def _moved(mean: np.ndarray, spread: np.ndarray, row: np.ndarray, seen: float) -> tuple[np.ndarray, np.ndarray]:
    """Return mean and covariance after one more answer."""
    along = spread @ row
    gain = along / float(row @ along + figure("answer_sd") ** 2)
    return mean + gain * (seen - float(row @ mean)), spread - np.outer(gain, along)


def shares_of(lines: Iterable[FormulaLine], own: Iterable[str]) -> dict[str, float]:
    """Return how much of the sweetness each food gives, as its logarithm moves the whole's.

    Parameters
    ----------
    lines
        What was baked [g].
    own
        Pantry keys of the original: sugar that is there as before is what is compared with, and is not learned.

    Returns
    -------
    dict
        Shares by pantry key, of LEAST_SHARE and more. Intense sweeteners saturate: theirs is taken K / (K + C) times (constants.csv, reb_a_half).
    """
    lines = [line for line in lines if line.grams > 0]
    mass = sum(line.grams for line in lines)
    glycosides = sum(line.ingredient.per_100g.sweet_glycosides_g * line.grams / 100 for line in lines)
    intense = intense_equivalent(glycosides, mass)
    linear: dict[str, float] = {}
    part: dict[str, float] = {}
    for line in lines:
        key, c = line.ingredient.key, line.ingredient.per_100g
        linear[key] = linear.get(key, 0.0) + linear_sweetness(c) * line.grams / 100
        part[key] = part.get(key, 0.0) + c.sweet_glycosides_g * line.grams / 100
    whole = sum(linear.values()) + intense
    if whole <= 0 or mass <= 0:
        return {}
    concentration = glycosides * 1e6 / (mass * constant("mouth_dilution"))
    half = constant("reb_a_half")
    blunt = half / (half + concentration)
    kept = set(own)
    found = {
        key: (linear[key] + (blunt * intense * part[key] / glycosides if glycosides else 0.0)) / whole
        for key in linear
        if key not in kept
    }
    return {key: share for key, share in found.items() if share >= LEAST_SHARE}


@dataclass(frozen=True, slots=True)
class OvenSign:
    """What one bake tells of an oven: the colour's score, and the minutes that it took over those told; None where not noted."""

    colour: float | None = None
    time_ratio: float | None = None


def learn_oven(signs: Iterable[OvenSign], said_c: float = 0.0) -> Belief:
    """Return how much hotter an oven is than its dial [°C], from colours and times, around what the household says.

    Examples
    --------
    >>> round(learn_oven([OvenSign(colour=1), OvenSign(colour=1)]).mean, 1)
    5.7
    """
    seen: list[tuple[float, float]] = []
    for sign in signs:
        if sign.colour is not None:
            seen.append((sign.colour * figure("oven_colour_c"), figure("oven_answer_sd_c")))
        if sign.time_ratio is not None and sign.time_ratio > 0:
            seen.append((-figure("oven_time_c") * log(sign.time_ratio), figure("oven_time_sd_c")))
    return _normal(said_c, figure("oven_sd_c"), seen)


@dataclass(frozen=True, slots=True)
class LiquidSign:
    """What one bake tells of a flour's thirst: moisture's score, the batter's feel (-1 holds, 0 drops, 1 pours), and the share of liquid that was added; None where not noted."""

    moisture: float | None = None
    feel: float | None = None
    added: float | None = None


def learn_liquid(signs: Iterable[LiquidSign]) -> Belief:
    """Return how much more liquid this household's flour takes than the model says, as a share of the liquid.

    Examples
    --------
    >>> learn_liquid([LiquidSign(moisture=-1)]).mean > 0
    True
    """
    seen: list[tuple[float, float]] = []
    for sign in signs:
        if sign.moisture is not None:
            seen.append((-sign.moisture * figure("liquid_word"), figure("liquid_answer_sd")))
        if sign.feel is not None:
            seen.append((-sign.feel * figure("liquid_feel"), figure("liquid_answer_sd")))
        if sign.added is not None:
            seen.append((sign.added, figure("liquid_answer_sd")))
    return _normal(0.0, figure("liquid_sd"), seen)


def _normal(mean: float, sd: float, seen: Iterable[tuple[float, float]]) -> Belief:
    precision, weighted, count = 1 / sd**2, mean / sd**2, 0
    for value, scatter in seen:
        precision += 1 / scatter**2
        weighted += value / scatter**2
        count += 1
    return Belief(weighted / precision, precision**-0.5, count)
