"""Ingredients, own products, sweeteners."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import AliasChoices, AliasPath, BeforeValidator, Field

from sun_crumb.api.schemas.base import Out, To1, To2, To3, numbers
from sun_crumb.core.pantry.ingredient import COMPOSITION_FIELDS


def _of_food(*path: str) -> Any:
    """Return where a field is found: on an ingredient, or on a record that holds one."""
    return Field(validation_alias=AliasChoices(AliasPath(*path), AliasPath("ingredient", *path)))


def _words(value: object) -> object:
    return value.split() if isinstance(value, str) else value


class IngredientOut(Out):
    key: Annotated[str, _of_food("key")]
    name: Annotated[str, _of_food("name")]
    group: Annotated[str, _of_food("group")]
    energy_kcal: Annotated[To1, _of_food("per_100g", "energy_kcal")]
    total_sugars_g: Annotated[To1, _of_food("per_100g", "total_sugars_g")]
    free_sugars_who_g: Annotated[To1, _of_food("per_100g", "free_sugars_who_g")]
    water_g: Annotated[To1, _of_food("per_100g", "water_g")]
    source: Annotated[str, _of_food("source")]
    locator: Annotated[str, _of_food("locator")]


_CompositionOut = numbers("CompositionOut", COMPOSITION_FIELDS, To3)


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
    roles: Annotated[list[str], BeforeValidator(sorted), _of_food("roles")]
    sugar_kind: Annotated[str, _of_food("sugar_kind")]
    composition: Annotated[_CompositionOut, _of_food("per_100g")]  # type: ignore[valid-type]
    sweetness: To1 | None
    measures: list[MeasureOut]
    allergens: list[AllergenOut]
    fits_diets: list[str]
    not_for_diets: list[str]
    source_words: str
    by_hand: Annotated[list[str], BeforeValidator(_words), _of_food("by_hand")]


class ProductOut(Out):
    ingredient: IngredientDetailOut
    estimated: list[str]
    contradictions: list[str]


class SweetenerOut(Out):
    key: str
    name: str
    is_refined: bool
    grams: To1 | None
    household: str
    energy_kcal: To1 | None
    free_sugars_who_g: To1 | None
    free_sugars_uk_g: To1 | None
    water_g: To1 | None
    price: To2 | None
    price_per_kg: float | None


class SweetenersOut(Out):
    sweeteners: list[SweetenerOut]


class IngredientsOut(Out):
    ingredients: list[IngredientOut]
