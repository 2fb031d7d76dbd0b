"""A plan and its preview: a wish turned into problems, solved, rounded, judged and told. Knows no database and no screen."""

from sun_crumb.core.rework.plan import Plan, rework
from sun_crumb.core.rework.plan_line import PlanLine
from sun_crumb.core.rework.preview import Drag, Preview, frame_of, preview

__all__ = ["Drag", "Plan", "PlanLine", "Preview", "frame_of", "preview", "rework"]
