"""Ingredients, own products, sweeteners."""

from __future__ import annotations

from sun_crumb.api.schemas.base import Out, numbers
from sun_crumb.core.pantry.ingredient import COMPOSITION_FIELDS


class IngredientOut(Out):
    key: str
    name: str
    group: str
    energy_kcal: float
    total_sugars_g: float
    free_sugars_who_g: float
    water_g: float
    source: str
    locator: str


_CompositionOut = numbers("CompositionOut", COMPOSITION_FIELDS)


class MeasureOut(Out):
    unit: str
    form: str
    grams: float
    source: str


class AllergenOut(Out):
    name: str
    is_us: bool
    is_eu: bool


class IngredientDetailOut(IngredientOut):
    names: list[str]
    roles: list[str]
    sugar_kind: str
    composition: _CompositionOut  # type: ignore[valid-type]
    sweetness: float | None
    measures: list[MeasureOut]
    allergens: list[AllergenOut]
    fits_diets: list[str]
    not_for_diets: list[str]
    source_words: str
    by_hand: list[str]


class ProductOut(Out):
    ingredient: IngredientDetailOut
    estimated: list[str]
    contradictions: list[str]


class SweetenerOut(Out):
    key: str
    name: str
    is_refined: bool
    grams: float | None
    household: str
    energy_kcal: float | None
    free_sugars_who_g: float | None
    free_sugars_uk_g: float | None
    water_g: float | None
    price: float | None
    price_per_kg: float | None


class SweetenersOut(Out):
    sweeteners: list[SweetenerOut]


class IngredientsOut(Out):
    ingredients: list[IngredientOut]
