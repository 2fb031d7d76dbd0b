"""What bakers add where sugar goes: scent, salt, roasting. Common practice; no sweetness is counted for it."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.balance import guess_family
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import table
from sun_crumb.core.rework.goals import Goals

MOST = 4


@dataclass(frozen=True, slots=True)
class Flavour:
    """One suggestion: what, how much of it, and what it does."""

    key: str
    ingredient: str
    amount: str
    words: str


def flavours(formula: Formula, goals: Goals) -> list[Flavour]:
    """Return what may stand in for sweetness that was given up, for a dessert kept at less than 85 % of its sweetness."""
    if goals.wanted_sweetness > 0.85 or not formula.lines:
        return []
    component = formula.components[0]
    family = guess_family(formula.title, component, formula.only(component).lines).key
    excluded = goals.excluded
    present = {line.ingredient.key for line in formula.lines}
    found = []
    for row in table("flavours"):
        keys = row["ingredients"].split(";")
        fits = [k for k in keys if k not in goals.without and not shipped_pantry()[k].tags & excluded]
        if family not in row["families"].split() or not fits:
            continue
        there = next((k for k in keys if k in present), None)
        if row["key"] in ("browned_butter", "cocoa") and there is None:
            continue
        if row["key"] in ("zest", "nuts") and there is not None:
            continue
        key = there or fits[0]
        amount = (
            f"{row['per_kg_text']} in all"
            if there and row["key"] not in ("browned_butter", "cocoa")
            else row["per_kg_text"]
        )
        found.append(Flavour(row["key"], key, amount, row["words"]))
    return found[:MOST]
