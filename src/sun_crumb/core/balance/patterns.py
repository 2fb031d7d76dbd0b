"""Patterns: formulas by common practice, each of a family and a base, and how near a component comes to one."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass
from functools import cache

import numpy as np
import numpy.typing as npt

from sun_crumb.core.balance.makeup import FLAGS, KINDS, makeup
from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Pattern:
    """A formula by common practice, as grams to each other; its ``base`` is what it stands on."""

    key: str
    family: str
    base: str
    name: str
    grams: tuple[tuple[str, float], ...]
    source: str

    @property
    def lines(self) -> tuple[FormulaLine, ...]:
        """The formula as weighed lines [g]; what lies in a crumb whole does so here too."""
        return _lines(self.grams)


@cache
def _lines(grams: tuple[tuple[str, float], ...]) -> tuple[FormulaLine, ...]:
    return tuple(FormulaLine(shipped_pantry()[key], g, is_crushed=_is_mixed_in(key)) for key, g in grams)


def _is_mixed_in(key: str) -> bool:
    """Return whether a food of a pattern is part of the mix: only nuts, chips and dried fruit lie in it whole."""
    food = shipped_pantry()[key]
    return not food.traits & {"chips", "whole"} and (
        not food.has_role("nut") or food.has_role("flour", "paste") or key.endswith("_butter")
    )


@cache
def every_pattern() -> tuple[Pattern, ...]:
    """Return all patterns of one thing in their order, also those that only say how a dessert is made on another base."""
    return tuple(_pattern(row) for row in table("patterns") if row["tells"] != "several")


@cache
def patterns() -> tuple[Pattern, ...]:
    """Return the patterns that tell kinds of desserts apart and what is usual in them, in their order."""
    return tuple(_pattern(row) for row in table("patterns") if row["tells"] == "1")


@cache
def _telling() -> tuple[Pattern, ...]:
    """Return the patterns that tell kinds apart: also several things in one list, a crumble with its fruit, of which none is the norm."""
    return tuple(_pattern(row) for row in table("patterns") if row["tells"] in ("1", "several"))


def _pattern(row: Mapping[str, str]) -> Pattern:
    return Pattern(
        row["key"],
        row["family"],
        row["base"],
        row["name"],
        tuple((key, float(grams)) for key, grams in (part.split(":") for part in row["formula"].split())),
        row["source"],
    )


@cache
def _matrix(of: Callable[[], tuple[Pattern, ...]]) -> npt.NDArray[np.float64]:
    """Return the shares of some patterns (patterns x kinds and flags)."""
    return np.array([_vector(makeup(pattern.lines)) for pattern in of()])


def _vector(shares: Mapping[str, float]) -> tuple[float, ...]:
    return (*(shares[kind] for kind in KINDS), *(FLAGS[flag] * (shares[flag] > 0) for flag in FLAGS))


def _apart(shares: Mapping[str, float], of: Callable[[], tuple[Pattern, ...]]) -> list[float]:
    """Return how far a component made so is from each of some patterns, as a distance of shares."""
    return np.sqrt(((_matrix(of) - np.array(_vector(shares))) ** 2).sum(axis=1)).tolist()  # type: ignore[no-any-return]


def nearest(family: str, lines: Iterable[FormulaLine]) -> Pattern | None:
    """Return the pattern of a family that lines come nearest to, None where it has none."""
    far = _apart(makeup(lines), patterns)
    found = [(far[n], n) for n, pattern in enumerate(patterns()) if pattern.family == family]
    return patterns()[min(found)[1]] if found else None


def distances_of(shares: Mapping[str, float]) -> dict[str, float]:
    """Return how far a component made so is from each pattern, by its key, as a distance of shares (0 is the same)."""
    return {pattern.key: far for pattern, far in zip(every_pattern(), _apart(shares, every_pattern), strict=True)}


def distances(shares: Mapping[str, float]) -> dict[str, float]:
    """Return how far a component made so is from the nearest pattern of each family, as a distance of shares (0 is the same)."""
    found: dict[str, float] = {}
    for pattern, far in zip(_telling(), _apart(shares, _telling), strict=True):
        found[pattern.family] = min(found.get(pattern.family, far), far)
    return found


def told_together(shares: Mapping[str, float]) -> frozenset[str]:
    """Return the families of which a component made so is one with what is eaten with it, in one list: sweet pastry and its mincemeat."""
    several = [row["tells"] == "several" for row in table("patterns") if row["tells"] in ("1", "several")]
    far = zip(_telling(), several, _apart(shares, _telling), strict=True)
    return frozenset(pattern.family for pattern, is_several, apart in far if is_several and apart < TOGETHER)


# So near a pattern of several things a component is one of them [share] (judgement).
TOGETHER = 0.1
