"""What can be chosen and what was."""

from __future__ import annotations

from typing import Literal

from sun_crumb.api.schemas.base import Out
from sun_crumb.api.schemas.pantry import IngredientOut
from sun_crumb.api.schemas.recipes import GoalsOut


class NamedOut(Out):
    key: str
    name: str


class PathOut(NamedOut):
    words: str
    usual: list[str]
    preset: GoalsOut
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


class PlannedOut(Out):
    """A bake that is planned, by the wall clock."""

    recipe: int
    version: int
    title: str
    label: str
    serve: str
    start: str


class OvenOut(Out):
    """One of several ovens."""

    name: str
    fan: bool
    offset_c: float
    hot_side: Literal["", "left", "right", "back", "front"]


class SettingsOut(Out):
    daily_limit_g: float
    diets: list[str]
    cupboard: list[str] | None
    prices: dict[str, float]
    decimal_sign: Literal[".", ","]
    sleep: str
    oven_fan: bool
    oven_offset_c: float
    oven_hot_side: Literal["", "left", "right", "back", "front"]
    ovens: list[OvenOut]
    oven: str
    units: Literal["recipe", "grams", "spoons"]
    cup: Literal["", "us", "metric", "australian", "legal"]
    temperature: Literal["c", "f"]
    paper: Literal["a4", "letter"]
    currency: str
    tins: list[str]
    scoops: list[int]
    planned: list[PlannedOut]


class HealthOut(Out):
    status: Literal["ok"]
    is_demo: bool
