"""What a deviation costs, in the model and after it: the one scale that plans are compared by (all judgement)."""

from __future__ import annotations

from sun_crumb.core.balance import Gauge

# A band's width costs so much inside the band, in the second band, and beyond: of sweetness, and of texture.
INSIDE, BEYOND, FAR, OUTSIDE = 0.15, 2.0, 6.0, 40.0
# What being called strained costs a rounded plan, however little it lies outside its stretch: a spoon less may undo it.
EDGE = 0.4
# What a shortfall of the whole cut costs, and an overshoot: the cut gives way only when the dessert would fail.
CUT_SHORT, CUT_OVER = 400.0, 3.0


def room_for_sweetness(gauge: Gauge) -> float:
    """Return how far sweetness may pass what is asked at little cost, in bands: to the original's and one band more."""
    return max(gauge.old / gauge.wanted - 1, 0.0) / gauge.band[1] + 1


def price(gauge: Gauge, off: float, *, is_felt: bool = False) -> float:
    """Return what a deviation of *gauge* costs, before its metric's weight; as it *is_felt* no more steeply far out."""
    reach = abs(gauge.reach(off))
    is_sweetness = gauge.metric.key == "sweetness"
    if is_sweetness and off > 0:
        # Sweeter than asked costs little until it is sweeter than the original.
        return INSIDE * reach + (FAR - INSIDE) * max(reach - room_for_sweetness(gauge), 0.0)
    steep = BEYOND if is_felt else FAR if is_sweetness else OUTSIDE
    return INSIDE * min(reach, 1.0) + BEYOND * max(reach - 1, 0.0) + (steep - BEYOND) * max(reach - 2, 0.0)
