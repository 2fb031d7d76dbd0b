"""What is in the bowl against what the plan says: how far off counts, and what the rest becomes if all of it follows.

No scale, no clock: weights go in, weights come out.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import Formula
from sun_crumb.core.kitchen.tins import TIME_HIGH, TIME_LOW
from sun_crumb.core.reference import constant

# Further from its target than this nothing is one weighing: a slip of the finger, or another bowl's weight.
MOST_FACTOR = 3.0


@dataclass(frozen=True, slots=True)
class Target:
    """One food of one step: its place in the version's lines, the step, and how much of it goes in there [g]."""

    position: int
    step: int
    grams: float


@dataclass(frozen=True, slots=True)
class Changed:
    """A line whose weight becomes another [g]; of one that is in the bowl already, *grams* more of it are *added*."""

    position: int
    before_g: float
    after_g: float
    is_in: bool = False


def tolerance_g(target_g: float) -> float:
    """Return how far from its target a weight may be without a word [g]: a share of it, never less than a kitchen scale tells.

    Examples
    --------
    >>> tolerance_g(200.0), tolerance_g(9.0)
    (6.0, 1.0)
    """
    return max(constant("weighing_share") * target_g, constant("weighing_least_g"))


def is_off(target_g: float, grams: float) -> bool:
    """Return whether a weight is so far from its target that the baker is asked.

    Examples
    --------
    >>> is_off(245.0, 250.0), is_off(31.8, 50.0)
    (False, True)
    """
    return abs(grams - target_g) > tolerance_g(target_g)


def checked(target_g: float, grams: float) -> float:
    """Return *grams* as one weighing of *target_g*.

    Raises
    ------
    OutOfDomainError
        It is no weight, or so far off that something else was weighed.
    """
    if not 0 <= grams <= constant("scale_most_g"):
        raise OutOfDomainError(f"a kitchen scale tells 0 to {constant('scale_most_g'):.0f} g", field="grams")
    if target_g >= constant("weighing_least_g") and grams > MOST_FACTOR * target_g + constant("weighing_slack_g"):
        raise OutOfDomainError(
            f"{grams:.0f} g where {target_g:.0f} g go in: was the bowl weighed with it? Tare, and weigh again",
            field="grams",
        )
    return grams


def scaled(targets: Sequence[Target], weighed: Mapping[tuple[int, int], float], at: tuple[int, int]) -> list[Changed]:
    """Return what every other line becomes where all of the plan follows the weight at *at*, a (position, step).

    What is in the bowl already and falls short is added to; it is never taken out again: a plan that shrinks asks nothing of it.

    Examples
    --------
    >>> plan = [Target(0, 1, 100.0), Target(1, 1, 200.0), Target(2, 2, 50.0)]
    >>> [(c.position, c.after_g, c.is_in) for c in scaled(plan, {(0, 1): 100.0, (1, 1): 220.0}, (1, 1))]
    [(0, 110.0, True), (2, 55.0, False)]
    """
    here = next(t for t in targets if (t.position, t.step) == at)
    factor = weighed[at] / here.grams
    found = []
    for target in targets:
        key = (target.position, target.step)
        if key == at or target.grams <= 0:
            continue
        wanted = target.grams * factor
        is_in = key in weighed
        before = weighed.get(key, target.grams)
        if is_in and wanted <= before:
            continue
        if abs(wanted - before) >= constant("weighing_told_g"):
            found.append(Changed(target.position, before, round(wanted, 1), is_in))
    return found


def as_weighed(formula: Formula, weights: Mapping[int, float]) -> Formula:
    """Return a formula with the true weights [g] of some of its lines, by position."""
    return replace(
        formula,
        lines=tuple(replace(line, grams=weights.get(n, line.grams)) for n, line in enumerate(formula.lines)),
    )


def totals_by_line(targets: Sequence[Target], weighed: Mapping[tuple[int, int], float]) -> dict[int, float]:
    """Return what each line comes to [g]: what was weighed, and what of it is still to come as planned; only lines of which something was weighed.

    Examples
    --------
    >>> totals_by_line([Target(0, 1, 60.0), Target(0, 3, 40.0), Target(1, 1, 9.0)], {(0, 1): 66.0})
    {0: 106.0}
    """
    touched = {position for position, _ in weighed}
    found: dict[int, float] = {}
    for target in targets:
        if target.position in touched:
            grams = weighed.get((target.position, target.step), target.grams)
            found[target.position] = found.get(target.position, 0.0) + grams
    return found


def longer_min(minutes: tuple[int, int] | None, batter_g: float, true_g: float) -> int:
    """Return how many minutes more, or fewer, the same tin bakes where it holds so much more batter; 0 where no time is known.

    The batter lies deeper by as much as there is more of it, and the time follows the depth as it does from tin to tin.

    Examples
    --------
    >>> longer_min((40, 45), 800.0, 840.0), longer_min(None, 800.0, 840.0)
    (2, 0)
    """
    if minutes is None or batter_g <= 0:
        return 0
    depth = true_g / batter_g
    low, high = sorted((depth**TIME_LOW, depth**TIME_HIGH))
    more: float = (minutes[0] + minutes[1]) / 2 * ((low + high) / 2 - 1)
    return round(more)
