"""An amount of a food as the kitchen measures it."""

from __future__ import annotations

from functools import lru_cache

from sun_crumb.core.pantry.ingredient import Ingredient
from sun_crumb.core.quantities.household import fraction_text, grams_text, spoon_text
from sun_crumb.core.quantities.measures import CupStandard


def grid_of(ingredient: Ingredient, grams: float, cup: CupStandard) -> float:
    """Return the step [g] that *ingredient* is measured in near *grams*."""
    spoons = ingredient.spoons(cup)
    if spoons is not None:
        return spoons.grid(grams, is_strong=ingredient.is_strong)
    return 1.0 if grams < 100 else 5.0


@lru_cache(maxsize=8192)
def household(ingredient: Ingredient, grams: float, cup: CupStandard) -> str:
    """Return an amount as the kitchen measures it: eggs by number, the rest by cups and spoons, else by weight."""
    each = ingredient.measure("each")
    if ingredient.group == "egg" and each:
        return fraction_text(round(grams / each.grams * 4) / 4)
    spoons = ingredient.spoons(cup)
    if spoons is not None and ingredient.measure("tsp") is None and grams < 0.4 * spoons.tablespoon_g and each:
        return f"{fraction_text(grams / each.grams)}"
    if spoons is not None:
        return spoon_text(grams, spoons, is_strong=ingredient.is_strong)
    if each:
        return fraction_text(round(grams / each.grams * 4) / 4)
    return grams_text(grams)
