"""What a normal spread says: how likely a figure lies below another, and how far out a chance is."""

from __future__ import annotations

from statistics import NormalDist

_STANDARD = NormalDist()


def quantile(confidence: float) -> float:
    """Return how many standard deviations a normal spread stays below with this *confidence* (between 0 and 1).

    Examples
    --------
    >>> round(quantile(0.9), 3), round(quantile(0.5), 3)
    (1.282, 0.0)
    """
    return _STANDARD.inv_cdf(confidence)


def chance_below(value: float, most: float, sd: float) -> float:
    """Return how likely a figure of mean *value* and spread *sd*, in one unit, lies below *most*; without spread 0 or 1."""
    return _STANDARD.cdf((most - value) / sd) if sd > 0 else float(value <= most)


# How many standard deviations nine in ten lie within, on both sides of the middle.
NINE_IN_TEN = quantile(0.95)
