"""What a deviation costs a plan: the one scale of the model, of rounding and of reasons (all judgement). Not money.

A deviation is counted in bands of what is judged. Each stretch of it has a slope: a band's width costs so much inside the
band, in the second band, and beyond.
"""

from __future__ import annotations

from math import inf

from sun_crumb.core.balance import Gauge

INSIDE, BEYOND, FAR, OUTSIDE = 0.15, 2.0, 6.0, 40.0
# What being called strained costs a rounded plan, however little it lies outside its stretch: a spoon less may undo it.
EDGE = 0.4
# What a shortfall of the whole cut costs, and an overshoot: the cut gives way only when the dessert would fail, or hardly be sweet.
CUT_SHORT, CUT_OVER = 400.0, 25.0
# What each part of the sweetness costs that is missing below the least there is to be: more than the same part of the cut.
PLAIN = 800.0

Stretches = tuple[tuple[float, float], ...]


def stretches(gauge: Gauge, side: float, *, is_felt: bool = False) -> Stretches:
    """Return how a deviation of *gauge* is charged above (*side* > 0) or below: the width of each stretch [bands] and its slope.

    Taste may give way further than texture: a less sweet cake is still a cake. Sweeter than asked costs little until it is
    sweeter than the original. As it *is_felt*, far out is no steeper.
    """
    is_sweetness = gauge.metric.key == "sweetness"
    if is_sweetness and side > 0:
        room = room_for_sweetness(gauge)
        near = min(room, gauge.sweeter / gauge.band[1])
        return (near, INSIDE), (room - near, 2 * INSIDE), (inf, FAR)
    return (1.0, INSIDE), (1.0, BEYOND), (inf, BEYOND if is_felt else FAR if is_sweetness else OUTSIDE)


def room_for_sweetness(gauge: Gauge) -> float:
    """Return how far sweetness may pass what is asked at little cost, in bands: to the original's and one band more."""
    return max(gauge.old / gauge.wanted - 1, 0.0) / gauge.band[1] + 1


def charged(reach: float, along: Stretches) -> float:
    """Return what a deviation of *reach* bands, 0 or more, costs *along* its stretches."""
    cost, left = 0.0, reach
    for width, slope in along:
        if left <= width:
            return cost + slope * left
        cost, left = cost + slope * width, left - width
    return cost


def penalty(gauge: Gauge, off: float, *, is_felt: bool = False) -> float:
    """Return what a deviation of *gauge* by *off* costs, before its metric's weight."""
    return charged(abs(gauge.reach(off)), stretches(gauge, off, is_felt=is_felt))
