"""What a recipe costs by the household's own prices, where it has any."""

from __future__ import annotations

from collections.abc import Iterable, Mapping

from sun_crumb.core.formula import FormulaLine


def cost_of(lines: Iterable[FormulaLine], prices: Mapping[str, float]) -> float | None:
    """Return what the priced among *lines* cost together, or None where none has a price.

    Parameters
    ----------
    lines
        Weighed lines [g].
    prices
        Prices per kg by pantry key, >= 0, in whatever money the household counts.

    Examples
    --------
    >>> cost_of([], {"honey": 9.0}) is None
    True
    """
    priced = [prices[line.ingredient.key] * line.grams / 1000 for line in lines if line.ingredient.key in prices]
    return sum(priced) if priced else None
