"""What would narrow a figure most: the widest cause that something can be done about, in words."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.doubt.sources import known_of
from sun_crumb.core.doubt.spread import Cause, Spread

# A cause that is less than this part of a figure's doubt is not worth a word.
TOLD = 0.2
MOST_TOLD = 3


@dataclass(frozen=True, slots=True)
class Narrowing:
    """What would narrow a figure, in words, and which part of its doubt (as variance) that is."""

    words: str
    share: float


def narrowing(spread: Spread, figure: str) -> tuple[Narrowing, ...]:
    """Return what would narrow a *figure* most, the widest first; empty where nothing would by much.

    Parameters
    ----------
    spread
        The doubt of a recipe.
    figure
        A key of FIGURES.
    """
    squares = [x * x for x in spread.moves[figure]]
    whole = sum(squares)
    if whole <= 0:
        return ()
    found: dict[str, float] = {}
    for cause, square in zip(spread.causes, squares, strict=True):
        words = _words(cause)
        if words:
            found[words] = found.get(words, 0.0) + square / whole
    ranked = sorted(found.items(), key=lambda pair: -pair[1])
    return tuple(Narrowing(words, share) for words, share in ranked[:MOST_TOLD] if share >= TOLD)


def _words(cause: Cause) -> str:
    told = cause.weighing.narrower if cause.weighing else known_of(cause.food).narrower
    return told.format(food=cause.food.name.lower()) if told else ""
