"""Around a plan: paths side by side, what a bigger cut costs, the smallest change of a wish. Makes plans through rework only."""

from sun_crumb.core.exploring.afternoon import Afternoon, Dessert, afternoon
from sun_crumb.core.exploring.check import Checked, check
from sun_crumb.core.exploring.compare import FrontierPoint, PathSide, effort_of, front, frontier, side_by_side
from sun_crumb.core.exploring.others import Other, others
from sun_crumb.core.exploring.relaxing import Relaxation, relaxations
from sun_crumb.core.exploring.sensitivity import Nudge, sensitivity

__all__ = [
    "Afternoon",
    "Checked",
    "Dessert",
    "FrontierPoint",
    "Nudge",
    "Other",
    "PathSide",
    "Relaxation",
    "afternoon",
    "check",
    "effort_of",
    "front",
    "frontier",
    "others",
    "relaxations",
    "sensitivity",
    "side_by_side",
]
