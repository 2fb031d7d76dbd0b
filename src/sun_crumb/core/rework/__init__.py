"""Goals in, a rebalanced recipe out, with a reason for every change. Knows no database and no screen."""

from sun_crumb.core.rework.compare import FrontierPoint, PathSide, effort_of, frontier, side_by_side
from sun_crumb.core.rework.eaters import eaters
from sun_crumb.core.rework.goals import CAPS, DEFINITIONS, Goals, Path, paths
from sun_crumb.core.rework.plan import Plan, PlanLine, rework
from sun_crumb.core.rework.preview import Drag, Preview, frame_of, preview
from sun_crumb.core.rework.price import cost_of
from sun_crumb.core.rework.sensitivity import Nudge, sensitivity
from sun_crumb.core.rework.whatif import Relaxation, relaxations

__all__ = [
    "CAPS",
    "DEFINITIONS",
    "Drag",
    "FrontierPoint",
    "Goals",
    "Nudge",
    "Path",
    "PathSide",
    "Plan",
    "PlanLine",
    "Preview",
    "Relaxation",
    "cost_of",
    "eaters",
    "effort_of",
    "frame_of",
    "frontier",
    "paths",
    "preview",
    "relaxations",
    "rework",
    "sensitivity",
    "side_by_side",
]
