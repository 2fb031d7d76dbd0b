"""What a changed batter asks of the oven, in figures: how much lower, how much longer."""

from __future__ import annotations

from collections.abc import Iterable, Mapping

from sun_crumb.core.balance import Family, Verdict
from sun_crumb.core.formula import Formula
from sun_crumb.core.method.oven import Baking
from sun_crumb.core.reference import constant

# What more water in a gram of batter must come to before it bakes longer (common practice).
TOLD_WATER = 0.06


def baking(
    family: Family,
    formula: Formula,
    before: Mapping[str, float],
    after: Mapping[str, float],
    verdicts: Iterable[Verdict],
) -> Baking:
    """Return how one component bakes at new amounts.

    Parameters
    ----------
    family
        What it is.
    formula
        The original, with its oven and times.
    before, after
        Its QUANTITIES then and now.
    verdicts
        How it is judged.
    """
    if not family.browns or family.is_in_a_pan:
        return Baking()
    browning = next((v for v in verdicts if v.key == "browning"), None)
    is_browner = browning is not None and browning.level != "balanced" and browning.deviation > 0
    minutes = longer(formula.bake_minutes) if is_wetter(before, after) and formula.bake_minutes else None
    lower = constant("browning_drop_c") if is_browner else 0.0
    why = "browns sooner" if is_browner else "more water to bake out" if minutes else ""
    return Baking(lower, minutes, formula.bake_minutes, is_browner, why)


def is_wetter(before: Mapping[str, float], after: Mapping[str, float]) -> bool:
    """Return whether a batter holds so much more water that it bakes longer."""
    return after["water"] / after["mass"] - before["water"] / before["mass"] > TOLD_WATER


def longer(minutes: tuple[int, int]) -> tuple[int, int]:
    """Return baking minutes for a wetter batter, from and to.

    Examples
    --------
    >>> longer((40, 45))
    (45, 55)
    """
    low, high = minutes
    return low + max(min(5, low // 6), 1), high + max(min(10, high // 3), 2)
