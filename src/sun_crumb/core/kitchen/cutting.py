"""How a cake is cut: into so many alike, or its halves into different numbers; by its tin."""

from __future__ import annotations

import re
from dataclasses import dataclass
from math import pi, sqrt

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.tins import TinSize

# More pieces than this nobody cuts out of one tin [1]; a wedge narrower than this at its rim wants a circle cut first [cm] (judgement).
MOST_PIECES, LEAST_RIM_CM = 200, 3.0
# A piece this much longer than wide is a strip and no square [1] (judgement).
STRIP = 2.6
_PIECES = re.compile(r"\s*(\d{1,3})\s*(?:(?:\+|and|/)\s*(\d{1,3})\s*)?", re.I)


@dataclass(frozen=True, slots=True)
class Cut:
    """A tin, or half of one, cut: its sides [cm] (a width of 0 is round), rows and columns, or wedges of an inner circle and around it; each piece's part of the whole."""

    pieces: int
    long_cm: float
    wide_cm: float
    rows: int
    columns: int
    share_each: float
    is_half: bool
    words: str


def read_pieces(text: str) -> tuple[int, ...]:
    """Return into how many a cake is cut: "24", or its halves apart: "8 + 12".

    Raises
    ------
    OutOfDomainError
        It is no number of pieces.
    """
    found = _PIECES.fullmatch(text)
    counts = tuple(int(n) for n in found.groups() if n) if found else ()
    if not counts or not all(1 <= n <= MOST_PIECES for n in counts):
        raise OutOfDomainError(
            f"{text!r} is no number of pieces: say for instance 24, or 8 + 12 for its halves", field="pieces"
        )
    return counts


def cut(tin: TinSize, pieces: tuple[int, ...]) -> tuple[Cut, ...]:
    """Return how what was baked in a tin is cut into so many pieces, or its two halves into so many each.

    Parameters
    ----------
    tin
        One tin; several alike are cut alike.
    pieces
        One number, or two for the halves.

    Examples
    --------
    >>> from sun_crumb.core.kitchen.tins import read_size
    >>> cut(read_size("20 x 30 cm"), (24,))[0].words
    'cut 4 by 6: 24 pieces of 5 × 5 cm'
    """
    share = 1 / len(pieces)
    if tin.sides_cm is None:
        return tuple(_wedges(tin.across_cm, n, share) for n in pieces)
    long, wide = sorted(tin.sides_cm, reverse=True)
    if tin.shape == "loaf":
        return tuple(_slices(long * share, wide, n, share) for n in pieces)
    return tuple(_grid(long * share, wide, n, share) for n in pieces)


def _grid(a: float, b: float, n: int, share: float) -> Cut:
    long, wide = max(a, b), min(a, b)
    rows = _rows(long, wide, n)
    columns = n // rows
    one = sorted((wide / rows, long / columns))
    words = f"{_each(share)}cut {rows} by {columns}: {n} pieces of {one[0]:.2g} × {one[1]:.2g} cm"
    if _narrowness(*one) > STRIP:
        words += f"; they are strips, {_near(long, wide, n)} come out squarer"
    return Cut(n, long, wide, rows, columns, share / n, share < 1, words)


def _narrowness(a: float, b: float) -> float:
    return max(a, b) / min(a, b)


def _rows(long: float, wide: float, n: int) -> int:
    """Return the rows that cut so many pieces as nearly square as they go."""
    return min((r for r in range(1, n + 1) if n % r == 0), key=lambda r: _narrowness(wide / r, long / (n // r)))


def _near(long: float, wide: float, n: int) -> str:
    """Return the next numbers that make no strips: 12 or 15 for 13."""
    good = [
        k
        for k in range(1, n + 12)
        if k != n and _narrowness(wide / _rows(long, wide, k), long / (k // _rows(long, wide, k))) <= STRIP
    ]
    below = max((k for k in good if k < n), default=None)
    above = min(k for k in good if k > n)
    return f"{below} or {above}" if below else f"{above}"


def _slices(long: float, wide: float, n: int, share: float) -> Cut:
    words = f"{_each(share)}{n} slices, each {long / n:.2g} cm thick"
    return Cut(n, long, wide, 1, n, share / n, share < 1, words)


def _wedges(across: float, n: int, share: float) -> Cut:
    rim = pi * across * share / n
    if rim >= LEAST_RIM_CM or n < 2:
        words = f"{_each(share)}{n} wedges, {rim:.2g} cm wide at the rim"
        return Cut(n, across, 0.0, 0, n, share / n, share < 1, words)
    inner = max(round(n / 4), 1)
    words = (
        f"{_each(share)}cut a circle {across * sqrt(inner / n):.2g} cm across first: {inner} wedges inside it, "
        f"{n - inner} around it, all as large"
    )
    return Cut(n, across, 0.0, inner, n - inner, share / n, share < 1, words)


def _each(share: float) -> str:
    return "" if share == 1 else "this half: "


# What a recipe calls pieces that are cut from a whole (judgement).
CUT_UNITS = frozenset(
    [
        "serving",
        "slice",
        "piece",
        "square",
        "bar",
        "finger",
        "wedge",
        "brownie",
        "blondie",
        "portion",
        "triangle",
        "flapjack",
        "diamond",
    ]
)


def tin_words(shape: str, sizes_cm: tuple[float, ...], text: str) -> str:
    """Return a recipe's tin as ``tins.read_size`` takes it: "20 x 30 cm oblong"."""
    return f"{' x '.join(f'{size:g}' for size in sizes_cm)} cm {shape}" if sizes_cm else text


def rows_told(cuts: tuple[Cut, ...]) -> str:
    """Return how all of it is cut, in one sentence."""
    if len(cuts) == 1:
        return f"{cuts[0].words[0].upper()}{cuts[0].words[1:]}."
    told = "; ".join(one.words.removeprefix("this half: ") for one in cuts)
    return f"Halve it first. One half: {told.replace('; ', '. The other: ', 1)}."
