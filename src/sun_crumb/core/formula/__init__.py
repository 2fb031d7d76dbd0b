"""A recipe as components of weighed lines, and its totals per batch, portion and 100 g. Judges nothing."""

from sun_crumb.core.formula.recipe import Formula, FormulaLine, from_reading
from sun_crumb.core.formula.totals import Totals, portion, total

__all__ = ["Formula", "FormulaLine", "Totals", "from_reading", "portion", "total"]
