"""A component made on another base: which bases there are, what the recipe keeps of its own, amounts to begin from. Solves nothing."""

from sun_crumb.core.recasting.bases import Base, Way, bases, way_to
from sun_crumb.core.recasting.recast import Offer, Recast, Recasted, Reference, fits, offers, possible_bases, recast

__all__ = [
    "Base",
    "Offer",
    "Recast",
    "Recasted",
    "Reference",
    "Way",
    "bases",
    "fits",
    "offers",
    "possible_bases",
    "recast",
    "way_to",
]
