"""A recipe as components of weighed lines, and its totals per batch, portion and 100 g. Judges nothing."""

from sun_crumb.core.formula.analysis import Analysis, analyse
from sun_crumb.core.formula.foams import with_foams
from sun_crumb.core.formula.portions import PortionKind, check_portions, portion_totals, served, suggested_kinds
from sun_crumb.core.formula.recipe import Formula, FormulaLine, from_reading
from sun_crumb.core.formula.totals import Totals, portion, total

__all__ = [
    "Analysis",
    "Formula",
    "FormulaLine",
    "PortionKind",
    "Totals",
    "analyse",
    "check_portions",
    "from_reading",
    "portion",
    "portion_totals",
    "served",
    "suggested_kinds",
    "total",
    "with_foams",
]
