"""Goals in, a rebalanced recipe out, with a reason for every change. Knows no database and no screen."""

from sun_crumb.core.rework.goals import DEFINITIONS, Goals, Path, paths
from sun_crumb.core.rework.plan import Plan, PlanLine, rework

__all__ = ["DEFINITIONS", "Goals", "Path", "Plan", "PlanLine", "paths", "rework"]
