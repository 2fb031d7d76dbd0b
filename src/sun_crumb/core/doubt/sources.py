"""Where doubt comes from: weighing_doubts.csv by how an amount was measured, composition_doubts.csv by how a food is known."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache, lru_cache

from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.measures import units
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Weighing:
    """How an amount was measured: its relative standard deviation, the words for it, and what would narrow it."""

    key: str
    sd: float
    name: str
    narrower: str


@dataclass(frozen=True, slots=True)
class Known:
    """How a food's composition is known: relative standard deviations of its sugars, energy and sweetness."""

    key: str
    sources: frozenset[str]
    groups: frozenset[str]
    sugars: float
    energy: float
    sweet: float
    name: str
    narrower: str

    def holds(self, food: Ingredient) -> bool:
        """Return whether this row is of such a food."""
        return ("*" in self.sources or food.source in self.sources) and (
            "*" in self.groups or food.group in self.groups
        )


@cache
def weighings() -> dict[str, Weighing]:
    """Return how amounts are measured, by key."""
    return {
        row["key"]: Weighing(row["key"], float(row["sd"]), row["name"], row["narrower"])
        for row in table("weighing_doubts")
    }


@cache
def _known() -> tuple[Known, ...]:
    return tuple(
        Known(
            row["key"],
            frozenset(row["sources"].split()),
            frozenset(row["groups"].split()),
            float(row["sugars"]),
            float(row["energy"]),
            float(row["sweet"]),
            row["name"],
            row["narrower"],
        )
        for row in table("composition_doubts")
    )


@lru_cache(maxsize=4096)
def known_of(food: Ingredient) -> Known:
    """Return how a food's composition is known: the first row of composition_doubts.csv that holds it."""
    return next(row for row in _known() if row.holds(food))


# Spoons among the units of volume.
SPOONS = frozenset({"tsp", "tbsp", "dsp", "dessertspoon", "spoon"})


@lru_cache(maxsize=8192)
def _way(text: str, food: Ingredient) -> str:
    found = read_amount(text.strip()) if text.strip() else None
    if found is None:
        return "unknown"
    unit = found[0].unit
    if unit is None:
        return "egg" if food.group == "egg" else "piece"
    kind = units()[unit].kind if unit in units() else "piece"
    if kind == "mass":
        return "scale"
    if kind == "volume":
        if unit in SPOONS:
            return "spoon"
        return "volume_wet" if food.has_role("liquid", "syrup", "fat") else "volume_dry"
    if kind in ("pinch", "packet"):
        return kind
    return "egg" if food.group == "egg" else "piece"


def weighing_of(line: FormulaLine, told: str | None = None) -> Weighing:
    """Return how a line was measured, by its own words, or by how it is *told* where a plan tells it otherwise.

    Parameters
    ----------
    line
        A weighed line [g].
    told
        The amount as a plan tells it, None for the line's own words.
    """
    return weighings()[_way(line.text if told is None else told, line.ingredient)]
