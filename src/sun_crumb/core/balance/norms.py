"""Norms: where a family's patterns lie in absolute terms, in 100 g of raw mass, by family and by family and base."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.balance.families import families
from sun_crumb.core.balance.metrics import measure
from sun_crumb.core.balance.patterns import Pattern, every_pattern, patterns
from sun_crumb.core.reference import constant, table


@dataclass(frozen=True, slots=True)
class Measure:
    """Something that a recipe is judged by itself by: its name, its unit, what little and much of it are like, and the least room that bakers differ by."""

    key: str
    name: str
    unit: str
    room: float
    less: str
    more: str


@dataclass(frozen=True, slots=True)
class Norm:
    """Where one measure lies in a family's patterns, with room on both sides."""

    measure: Measure
    low: float
    high: float

    def reach(self, value: float) -> float:
        """Return how far a value lies outside, as a part of the norm's width; 0 within, negative below."""
        width = max(self.high - self.low, 1e-6)
        return max(value - self.high, 0.0) / width - max(self.low - value, 0.0) / width


@cache
def measures() -> dict[str, Measure]:
    """Return what recipes are judged by themselves by."""
    return {
        row["key"]: Measure(row["key"], row["name"], row["unit"], float(row["room"]), row["less"], row["more"])
        for row in table("norm_words")
    }


def absolutes(quantities: Mapping[str, float]) -> dict[str, float]:
    """Return what 100 g of raw mass hold, by the names of norm_words.csv.

    Parameters
    ----------
    quantities
        Sums by the names of QUANTITIES [g, mL, meq].

    Returns
    -------
    dict
        Water, sugars (all that dissolves), fat, structure and gas [g in 100 g]; soda over acid [meq/kg]; liquid by what holds it [g/g], absent where nothing does.
    """
    mass = quantities["mass"] or 1.0
    found = {
        "water": 100 * quantities["water"] / mass,
        "sugars": 100 * quantities["bulk"] / mass,
        "fat": 100 * quantities["fat"] / mass,
        "structure": 100 * quantities["structure"] / mass,
        "lift": 100 * quantities["lift"] / mass,
        "alkali": 1000 * quantities["alkali"] / mass,
    }
    if quantities["holding"] > HELD * mass:
        found["liquid"] = quantities["liquid"] / quantities["holding"]
    return found


# Below this share of the mass nothing holds the liquid, and it is judged by its water alone.
HELD = 0.08


@cache
def norms(family: str, base: str = "") -> dict[str, Norm]:
    """Return the norms of a family, of one base where it has patterns of that, by measure.

    References
    ----------
    patterns.csv; constants.csv (norm_room)
    """
    those = every_pattern() if base else patterns()
    mine = [p for p in those if p.family == family and base in ("", p.base)] or list(_of_kin(family))
    held = [absolutes(measure(pattern.lines)) for pattern in mine]
    room = constant("norm_room") * (1.0 if len(held) > 2 else FEW)
    found = {}
    for key, told in measures().items():
        values = [one[key] for one in held if key in one]
        if values:
            wide = max(room * abs(sum(values) / len(values)), told.room)
            least = min(values) - wide
            found[key] = Norm(told, least if key == "alkali" else max(least, 0.0), max(values) + wide)
    return found


# One or two patterns tell less of where others lie: so many times the room on both sides.
FEW = 1.6


def _of_kin(family: str) -> Iterable[Pattern]:
    kin = families()[family].kin
    for key in kin:
        if found := [p for p in patterns() if p.family == key]:
            return found
    return ()
