"""What can be chosen and what was."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from sun_crumb.api.schemas.base import In, Key, Out
from sun_crumb.api.schemas.pantry import IngredientOut


class NamedOut(Out):
    key: str
    name: str


class PathOut(NamedOut):
    words: str
    cut: float
    keep_sweet: float
    definition: str
    usual: list[str]
    most_new: int
    sweeteners: list[str]


class FamilyOut(NamedOut):
    """A kind of dessert, and the most of each kind of sweetener that its batter takes, as shares."""

    caps: dict[str, float]


class CupOut(NamedOut):
    cup_ml: float
    tablespoon_ml: float
    teaspoon_ml: float
    source: str


class LimitOut(Out):
    grams: float
    name: str


class ChoicesOut(Out):
    paths: list[PathOut]
    definitions: list[NamedOut]
    families: list[FamilyOut]
    caps: list[NamedOut]
    diets: list[NamedOut]
    allergens: list[NamedOut]
    eaters: list[NamedOut]
    cups: list[CupOut]
    sweeteners: list[IngredientOut]
    limits: list[LimitOut]


class SettingsOut(Out):
    daily_limit_g: float
    diets: list[str]
    cupboard: list[str] | None
    prices: dict[str, float]


class SettingsIn(In):
    """Preferences to change; those left out stay."""

    daily_limit_g: Annotated[float, Field(ge=1, le=500, allow_inf_nan=False)] | None = None
    diets: Annotated[list[Key], Field(max_length=20)] | None = None
    cupboard: Annotated[list[Key], Field(max_length=100)] | None = None
    prices: (
        Annotated[dict[str, Annotated[float, Field(ge=0, le=10_000, allow_inf_nan=False)]], Field(max_length=400)]
        | None
    ) = None


class HealthOut(Out):
    status: Literal["ok"]
    is_demo: bool
