"""Ingredients, own products, sweeteners."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from sun_crumb.api.schemas.base import In, Key, Out, numbers
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


LabelGrams = Annotated[float | None, Field(ge=0, le=1000, allow_inf_nan=False)]


class LabelIn(In):
    """What a pack says, per *basis_g*; what it does not say is taken from the ingredient *like*."""

    name: Annotated[str, Field(min_length=1, max_length=80)]
    like: Key
    law: Literal["eu", "us"] = "eu"
    basis_g: Annotated[float, Field(gt=0, le=1000, allow_inf_nan=False)] = 100.0
    energy_kcal: Annotated[float | None, Field(ge=0, allow_inf_nan=False)] = None
    energy_kj: Annotated[float | None, Field(ge=0, allow_inf_nan=False)] = None
    fat_g: LabelGrams = None
    carbohydrate_g: LabelGrams = None
    sugars_g: LabelGrams = None
    added_sugars_g: LabelGrams = None
    polyols_g: LabelGrams = None
    fibre_g: LabelGrams = None
    protein_g: LabelGrams = None
    salt_g: LabelGrams = None
    cup_g: LabelGrams = None
    is_cup_like_sugar: bool = False


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
