"""Who is at the table: what must not come in for them, how much of a sweetener they bear, and what they are told.

Every caution defers to a doctor, dietitian or clinic: the figures are estimates.
"""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.formula import Formula, Totals
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Eater:
    """Someone whom a dessert may not suit. ``sitting_share`` is the part of a portion's usual limits that they bear."""

    key: str
    name: str
    excluded_tags: frozenset[str]
    sitting_share: float
    foods: frozenset[str]
    words: str


@cache
def eaters() -> dict[str, Eater]:
    """Return the known eaters by key."""
    return {
        row["key"]: Eater(
            row["key"],
            row["name"],
            frozenset(row["excluded_tags"].split()),
            float(row["sitting_share"]),
            frozenset(row["foods"].split()),
            row["words"],
        )
        for row in table("eaters")
    }


def eater_cautions(keys: Iterable[str], formula: Formula, before: Totals, after: Totals) -> list[str]:
    """Return what each of these eaters is told of a dessert; *before* and *after* hold what one portion does."""
    found = []
    polyols = sum(x.ingredient.per_100g.polyols_g * x.grams / 100 for x in formula.lines) / formula.servings
    for key in keys:
        eater = eaters()[key]
        held = [x.ingredient.name.lower() for x in formula.lines if x.grams > 0 and x.ingredient.key in eater.foods]
        if eater.foods and not held:
            continue
        found.append(
            eater.words.format(
                foods=_listed(list(dict.fromkeys(held))),
                sugar=grams_text(after.free_sugars_who_g),
                carbohydrate=grams_text(after.carbohydrate_g),
                alcohols=f" ({grams_text(polyols)} of it sugar alcohols)" if polyols > 0.5 else "",
                carbohydrate_before=grams_text(before.carbohydrate_g),
                protein=grams_text(after.protein_g),
                protein_before=grams_text(before.protein_g),
            )
        )
    return found


def _listed(names: list[str]) -> str:
    return " and ".join(filter(None, [", ".join(names[:-1]), names[-1] if names else ""]))
