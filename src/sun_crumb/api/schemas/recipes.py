"""Recipes, their versions and portions."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from sun_crumb.api.schemas.base import ClientKey, In, Key, Out, SavingsOut, TotalsOut
from sun_crumb.api.schemas.reading import LineIn, OwnYields, Servings, Title, Unit


class PortionKindIn(In):
    """So many equal portions, and the components they get."""

    name: Annotated[str, Field(max_length=40)] = ""
    count: Servings
    components: Annotated[list[str], Field(max_length=20)]


class RecipeIn(In):
    """A recipe to keep."""

    title: Title
    source_text: str = ""
    cup: Key = "us"
    servings: Servings
    unit: Unit = "serving"
    lines: Annotated[list[LineIn], Field(min_length=1, max_length=400)]
    portions: Annotated[list[PortionKindIn], Field(max_length=12)] = []
    own_yields: OwnYields = {}
    client_key: ClientKey = None


class RecipeChangeIn(In):
    """Changes to a recipe, made against *revision*."""

    revision: int
    title: Title | None = None
    servings: Servings | None = None
    unit: Unit | None = None
    lines: Annotated[list[LineIn], Field(min_length=1, max_length=400)] | None = None
    portions: Annotated[list[PortionKindIn], Field(max_length=12)] | None = None
    own_yields: OwnYields | None = None


class AmountOut(Out):
    """An amount set of what comes in [g]."""

    component: str
    ingredient: str
    grams: float


class GoalsOut(Out):
    path: str
    cut: float
    keep_sweet: float
    definition: str
    diets: list[str]
    cupboard: list[str] | None
    avoid: list[str]
    eaters: list[str]
    without: list[str]
    including: list[str]
    most_energy_kcal: float | None
    most_free_sugar_g: float | None
    most_cost: float | None
    families: dict[str, str]
    locks: dict[str, float]
    amounts: list[AmountOut]
    most_new: int | None
    caps: dict[str, float]
    flavours: list[str] | None


class VersionLineOut(Out):
    component: str
    ingredient: str
    name: str
    grams: float
    amount: str
    household: str
    text: str
    is_crushed: bool
    reason: str


class PortionKindOut(Out):
    name: str
    count: int
    components: list[str]
    holds: TotalsOut  # type: ignore[valid-type]


class VersionSummaryOut(Out):
    id: int
    number: int
    label: str
    status: str
    servings: int
    unit: str
    goals: GoalsOut | None
    created_at: str
    per_serving: TotalsOut  # type: ignore[valid-type]
    batch: TotalsOut  # type: ignore[valid-type]
    saved_per_serving: SavingsOut  # type: ignore[valid-type]
    portions: list[PortionKindOut]
    own_yields: dict[str, int]


class VersionOut(VersionSummaryOut):
    lines: list[VersionLineOut]


class RecipeSummaryOut(Out):
    id: int
    title: str
    revision: int
    cup: str
    versions: list[VersionSummaryOut]


class RecipeOut(Out):
    id: int
    title: str
    revision: int
    cup: str
    source_text: str
    versions: list[VersionOut]


class RecipesOut(Out):
    recipes: list[RecipeSummaryOut]
