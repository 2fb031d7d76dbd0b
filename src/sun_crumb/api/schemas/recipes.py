"""Recipes, their versions and portions."""

from __future__ import annotations

from pydantic import ConfigDict

from sun_crumb.api.schemas.base import Moment, Out, SavingsOut, TotalsOut, numbers
from sun_crumb.api.schemas.reading import OvenOut, StepTimeOut, TinOut
from sun_crumb.schemas.fields import Key
from sun_crumb.schemas.recipes import AmountIn, GoalsIn
from sun_crumb.services.figures import SHOWN

# A shape of what comes in, as an answer: made from a record, and every field is always there.
ANSWERED = ConfigDict(from_attributes=True, json_schema_serialization_defaults_required=True)


class AmountOut(AmountIn):
    """An amount set of what comes in [g]."""

    model_config = ANSWERED


class GoalsOut(GoalsIn):
    """A wish with nothing of the path's left open."""

    cut: float
    keep_sweet: float
    definition: Key
    amounts: list[AmountOut]  # type: ignore[assignment]

    model_config = ANSWERED


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
    created_at: Moment
    per_serving: TotalsOut  # type: ignore[valid-type]
    batch: TotalsOut  # type: ignore[valid-type]
    saved_per_serving: SavingsOut  # type: ignore[valid-type]
    portions: list[PortionKindOut]
    own_yields: dict[str, int]
    is_pattern: bool
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


class StepOut(Out):
    """One step of the method, and the times that it names."""

    text: str
    times: list[StepTimeOut]


class MethodOut(Out):
    steps: list[StepOut]
    oven: OvenOut | None
    bake_minutes: list[int] | None
    tin: TinOut | None


class RecipeOut(Out):
    id: int
    title: str
    revision: int
    cup: str
    source_text: str
    method: MethodOut
    versions: list[VersionOut]


class RecipesOut(Out):
    """A window of the shelf: ``total`` recipes, of which these are shown from the one numbered ``start``, from 0."""

    total: int
    start: int
    recipes: list[ShelfRowOut]


class OwnPatternOut(Out):
    """A pattern of the household's, and the component that can follow it."""

    key: str
    name: str
    component: str


class OwnPatternsOut(Out):
    patterns: list[OwnPatternOut]
