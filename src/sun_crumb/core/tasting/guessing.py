"""How likely it is that a taster who tells nothing apart would have done as well: exact, no approximation."""

from __future__ import annotations

from dataclasses import dataclass
from math import comb
from typing import Literal

from sun_crumb.core.errors import OutOfDomainError

Test = Literal["triangle", "pair", "preference"]
# How often a guess is right: the odd one of three, one of two; a preference has no right side, so both are counted.
CHANCE: dict[Test, float] = {"triangle": 1 / 3, "pair": 1 / 2, "preference": 1 / 2}
MOST_TRIALS = 10_000


@dataclass(frozen=True, slots=True)
class Guessed:
    """A test's outcome: how likely guessing is to do as well, and the words for it."""

    test: Test
    trials: int
    right: int
    probability: float
    words: str


def guessed(test: Test, trials: int, right: int) -> Guessed:
    """Return how likely guessing does at least as well: the binomial's tail, summed exactly.

    Parameters
    ----------
    test
        *triangle* (the odd one of three was found), *pair* (the sweeter of two was named), *preference* (one of two was liked better).
    trials, right
        How often it was tried, and how often it was right, or the one liked better was chosen.

    Raises
    ------
    OutOfDomainError
        There are no such trials; names the field.

    Examples
    --------
    >>> round(guessed("triangle", 5, 4).probability, 6)
    0.045267
    """
    if not 1 <= trials <= MOST_TRIALS:
        raise OutOfDomainError(f"between 1 and {MOST_TRIALS} tries are counted", field="trials")
    if not 0 <= right <= trials:
        raise OutOfDomainError(f"of {trials} tries {right} can't be right", field="right")
    chance = CHANCE[test]
    low = max(right, trials - right) if test == "preference" else right
    tail = sum(comb(trials, k) * chance**k * (1 - chance) ** (trials - k) for k in range(low, trials + 1))
    probability = min(2 * tail, 1.0) if test == "preference" else min(tail, 1.0)
    return Guessed(test, trials, right, probability, _words(test, trials, right, probability))


def _words(test: Test, trials: int, right: int, probability: float) -> str:
    chance = f"guessing does as well {_often(probability)}"
    if test == "preference":
        told = "one is liked better" if probability < 0.05 else "no preference can be told"
    else:
        told = "they can be told apart" if probability < 0.05 else "no difference can be told"
    return f"{right} of {trials}: {told}, {chance}."


def _often(probability: float) -> str:
    if probability < 0.001:
        return "less than once in a thousand times"
    return (
        f"{100 * probability:.1f} times in a hundred"
        if probability < 0.1
        else f"{100 * probability:.0f} times in a hundred"
    )
