"""Demo data: the made-up Quince Lane household, its desserts, reworks, bakes and two weeks of slices."""

from sun_crumb.demo.fill import fill, start_over

__all__ = ["fill", "start_over"]
