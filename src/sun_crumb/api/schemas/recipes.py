"""Recipes, their versions and portions."""

from __future__ import annotations

from sun_crumb.api.schemas.base import Out, SavingsOut, TotalsOut, numbers
from sun_crumb.services.figures import SHOWN


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


class VersionOut(Out):
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
    lines: list[VersionLineOut]


_ShownOut = numbers("ShownOut", SHOWN)


class ShelfVersionOut(Out):
    """What the shelf shows of a version."""

    id: int
    number: int
    label: str
    status: str
    servings: int
    unit: str
    per_serving: _ShownOut  # type: ignore[valid-type]


class ShelfRowOut(Out):
    """A recipe on the shelf. One that can't be worked with has no versions, and ``damage`` says what is wrong."""

    id: int
    title: str
    revision: int
    damage: str
    versions: list[ShelfVersionOut]


class RecipeOut(Out):
    id: int
    title: str
    revision: int
    cup: str
    source_text: str
    versions: list[VersionOut]


class RecipesOut(Out):
    """A window of the shelf: ``total`` recipes, of which these are shown from the one numbered ``start``, from 0."""

    total: int
    start: int
    recipes: list[ShelfRowOut]
