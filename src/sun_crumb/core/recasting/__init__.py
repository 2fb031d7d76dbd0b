"""A component made on another base: which bases there are, what the recipe keeps of its own, amounts to begin from. Solves nothing."""

from sun_crumb.core.recasting.bases import Base, Way, bases, way_to
from sun_crumb.core.recasting.recast import Recast, Recasted, Reference, fits, possible_bases, recast

__all__ = ["Base", "Recast", "Recasted", "Reference", "Way", "bases", "fits", "possible_bases", "recast", "way_to"]
