"""Around a plan: paths side by side, what a bigger cut costs, the smallest change of a wish. Makes plans through rework only."""

from sun_crumb.core.exploring.check import Checked, check
from sun_crumb.core.exploring.compare import FrontierPoint, PathSide, effort_of, frontier, side_by_side
from sun_crumb.core.exploring.relaxing import Relaxation, relaxations
from sun_crumb.core.exploring.sensitivity import Nudge, sensitivity

__all__ = [
    "Checked",
    "FrontierPoint",
    "Nudge",
    "PathSide",
    "Relaxation",
    "check",
    "effort_of",
    "frontier",
    "relaxations",
    "sensitivity",
    "side_by_side",
]
