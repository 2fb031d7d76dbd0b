"""An amount of a food as the kitchen measures it."""

from __future__ import annotations

from functools import lru_cache

from sun_crumb.core.pantry.ingredient import Ingredient
from sun_crumb.core.quantities.household import fraction_text, grams_text, measured
from sun_crumb.core.quantities.measures import CupStandard

# What a scale's kitchen measures by spoons all the same, below a tablespoon; and its steps [g, mL], by how much there is.
_BY_SPOON = ("leaven", "flavour", "salt", "binder", "intense")
SMALL_STEP, STEP, STEP_FROM = 1.0, 5.0, 50.0
# Liquids that such a kitchen pours by the millilitre.
_POURED = ("dairy", "plantmilk", "liquid")


def _is_spooned(ingredient: Ingredient, grams: float, cup: CupStandard) -> bool:
    spoons = ingredient.spoons(cup)
    return spoons is not None and (
        ingredient.is_strong or (ingredient.has_role(*_BY_SPOON) and grams < 1.01 * spoons.tablespoon_g)
    )


def _pour(ingredient: Ingredient, *, is_poured: bool | None) -> float | None:
    """Return what 1 mL of a poured liquid weighs [g], None for what is no such liquid; *is_poured* as the recipe says, None where it does not."""
    if is_poured is not None:
        return ingredient.density_g_per_ml() if is_poured else None
    if (
        ingredient.group not in _POURED
        or not ingredient.has_role("liquid")
        or ingredient.has_role("sugar")
        or "thick" in ingredient.traits
    ):
        return None
    return ingredient.density_g_per_ml()


def grid_of(
    ingredient: Ingredient, grams: float, cup: CupStandard, *, is_weighed: bool = False, is_poured: bool | None = None
) -> float:
    """Return the step [g] that *ingredient* is measured in near *grams*; on a scale where a recipe *is_weighed*, by the mL where it *is_poured*."""
    if is_weighed and not _is_spooned(ingredient, grams, cup):
        step = SMALL_STEP if grams < STEP_FROM else STEP
        return step * (_pour(ingredient, is_poured=is_poured) or 1.0)
    spoons = ingredient.spoons(cup)
    if spoons is not None:
        return spoons.grid(grams, is_strong=ingredient.is_strong)
    return SMALL_STEP if grams < STEP_FROM else STEP


def household(
    ingredient: Ingredient, grams: float, cup: CupStandard, *, is_weighed: bool = False, is_poured: bool | None = None
) -> str:
    """Return an amount as the kitchen measures it: eggs by number, the rest by cups and spoons or on the scale."""
    return household_amount(ingredient, grams, cup, is_weighed=is_weighed, is_poured=is_poured)[0]


@lru_cache(maxsize=16384)
def household_amount(
    ingredient: Ingredient, grams: float, cup: CupStandard, *, is_weighed: bool = False, is_poured: bool | None = None
) -> tuple[str, float]:
    """Return an amount as the kitchen measures it, and what these words weigh [g]; by the mL where a weighed recipe says so."""
    each = ingredient.measure("each")
    if ingredient.group == "egg" and each:
        count = round(grams / each.grams * 4) / 4
        return fraction_text(count), count * each.grams
    if is_weighed and not _is_spooned(ingredient, grams, cup):
        if ml := _pour(ingredient, is_poured=is_poured):
            step = SMALL_STEP if grams < STEP_FROM else STEP
            volume = max(round(grams / ml / step), 1) * step
            return f"{volume:.0f} ml", volume * ml
        return grams_text(grams), grams
    spoons = ingredient.spoons(cup)
    if spoons is not None and ingredient.measure("tsp") is None and grams < 0.4 * spoons.tablespoon_g and each:
        return _pieces(grams, each.grams)
    if spoons is not None:
        return measured(grams, spoons, is_strong=ingredient.is_strong)
    return _pieces(grams, each.grams) if each else (grams_text(grams), grams)


def _pieces(grams: float, each_g: float) -> tuple[str, float]:
    """Return an amount in pieces, quarters of them at least; on the scale where that would miss it."""
    count = round(grams / each_g * 4) / 4
    if count and abs(count * each_g / grams - 1) <= 0.02:
        return fraction_text(count), count * each_g
    return grams_text(grams), grams
