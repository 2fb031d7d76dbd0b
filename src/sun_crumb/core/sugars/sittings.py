"""What many stomachs take badly in one sitting, and how much of it, from sittings.csv: one table for the plan and its cautions."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from sun_crumb.core.pantry.ingredient import Composition
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Sitting:
    """A limit for one portion: what it counts, as fields of a composition, and the most of it [g]."""

    key: str
    name: str
    fields: tuple[str, ...]
    most_g: float
    words: str
    source: str

    def held_per_gram(self, per_100g: Composition) -> float:
        """Return how much of what it counts 1 g of an ingredient holds [g]."""
        return float(sum(getattr(per_100g, name) for name in self.fields)) / 100


def sitting_share(per_100g: Composition) -> float:
    """Return the part of a sitting's limit that 1 g of a food is, summed over all that the gut minds."""
    return sum(sitting.held_per_gram(per_100g) / sitting.most_g for sitting in sittings())


@cache
def sittings() -> tuple[Sitting, ...]:
    """Return the limits; no gram is counted by two of them."""
    return tuple(
        Sitting(r["key"], r["name"], tuple(r["fields"].split()), float(r["most_g"]), r["words"], r["source"])
        for r in table("sittings")
    )
