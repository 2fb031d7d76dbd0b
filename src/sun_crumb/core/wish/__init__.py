"""What the baker wants: goals, who is at the table, money. Knows recipes and families; not how a wish is granted."""

from sun_crumb.core.wish.eaters import eaters
from sun_crumb.core.wish.goals import CAPS, DEFINITIONS, Goals, Path, paths
from sun_crumb.core.wish.money import cost_of

__all__ = ["CAPS", "DEFINITIONS", "Goals", "Path", "cost_of", "eaters", "paths"]
