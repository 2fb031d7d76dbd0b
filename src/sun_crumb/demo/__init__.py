"""Demo data: the made-up Quince Lane household, its desserts and reworks, and a quarter of bakes, tastings, slices and slips."""

from sun_crumb.demo.fill import fill, start_over
from sun_crumb.demo.quarter import live

__all__ = ["fill", "live", "start_over"]
