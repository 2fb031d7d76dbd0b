"""What stands in the cupboard and is not used, and why."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from sun_crumb.core.balance import Family
from sun_crumb.core.formula import Formula
from sun_crumb.core.offers.candidates import suits
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.wish.goals import Goals


def unused(goals: Goals, original: Formula, after: Formula, found: Sequence[Family], pantry: Pantry) -> Iterator[str]:
    """Give a sentence on the cupboard's sweeteners that a plan leaves there, each with its reason; none where all are used."""
    held = {line.ingredient.key for line in after.lines if line.grams > 0}
    left: dict[str, list[str]] = {}
    for key in goals.cupboard or ():
        if key not in held:
            left.setdefault(_why(pantry[key], goals, original, found), []).append(pantry[key].name.lower())
    for why, names in left.items():
        yield f"Not used: {' and '.join([', '.join(names[:-1]), names[-1]] if len(names) > 1 else names)}, {why}."


def _why(food: Ingredient, goals: Goals, original: Formula, found: Sequence[Family]) -> str:
    if food.key in goals.without:
        return "left out as you asked"
    if food.tags & goals.excluded:
        return "ruled out by who eats it"
    if not goals.preset.allows(food):
        return f"which the path “{goals.preset.name.lower()}” does not take"
    if found and not any(suits(food, family, original) for family in found):
        return f"which does not suit this {found[0].name}"
    if len(goals.cupboard or ()) > goals.new_at_most:
        return "since a few sweeteners are enough"
    return "since the dessert keeps its balance better without"
