"""How far every figure may be off: by how amounts were measured, by how foods are known, by what was learned. Changes no figure."""

from sun_crumb.core.doubt.likely import Likely, likely_as_sweet
from sun_crumb.core.doubt.narrowing import Narrowing, narrowing
from sun_crumb.core.doubt.spread import FIGURES, Interval, Spread, spread_of
from sun_crumb.core.doubt.told import Doubted, PlanDoubt, doubt_of, doubt_of_plan, spread_of_portions

__all__ = [
    "FIGURES",
    "Doubted",
    "Interval",
    "Likely",
    "Narrowing",
    "PlanDoubt",
    "Spread",
    "doubt_of",
    "doubt_of_plan",
    "likely_as_sweet",
    "narrowing",
    "spread_of",
    "spread_of_portions",
]
