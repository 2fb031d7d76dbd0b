"""A text read and totalled."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import Field, create_model

from sun_crumb.api.schemas.base import Out, To1, To2, TotalsOut
from sun_crumb.core.reading.records import LineStatus, Role
from sun_crumb.schemas.fields import In, Key


class ReadIn(In):
    """A pasted recipe; ``roles`` are what the baker says that lines of the text are, by their number, from 0."""

    text: str
    cup: Key | None = None
    roles: Annotated[dict[Annotated[int, Field(ge=0, le=100_000)], Role], Field(max_length=2500)] = {}


class CandidateOut(Out):
    ingredient: str
    name: str
    confidence: float
    grams: float | None
    total_sugars_g: To1 | None


class StatementOut(Out):
    text: str
    grams: float


class ConflictOut(Out):
    statements: list[StatementOut]
    fits: str


class ReadLineOut(Out):
    text: str
    component: str
    status: LineStatus
    quantity_low: float | None
    quantity_high: float | None
    unit: str | None
    size: str
    name: str
    preparation: str
    is_optional: bool
    alternatives: list[str]
    ingredient: str | None
    food: str
    confidence: float
    grams: float | None
    grams_low: float | None
    grams_high: float | None
    stated_grams: float | None
    candidates: list[CandidateOut]
    conflict: ConflictOut | None
    problem: str
    changed: str
    role: Role
    line: int


class YieldOut(Out):
    count: int
    unit: str


class PortionsOut(Out):
    """How many it makes, from low to high; what they are cut from; whether that is a guess; the words it was read from."""

    count: int | None
    low: int | None
    high: int | None
    unit: str
    whole: str
    is_assumed: bool
    text: str


class TextLineOut(Out):
    """One line of the text as it stands, and what it was taken for; an empty line is nothing."""

    text: str
    role: Role | None


class LeftOutOut(Out):
    """A line that is in no total, and why; ``position`` counts the lines from 0."""

    text: str
    why: str
    position: int


class OvenOut(Out):
    temperature_c: float
    is_fan: bool


class TinOut(Out):
    shape: str
    sizes_cm: list[float]
    text: str


class StepTimeOut(Out):
    doing: str
    low: int
    high: int


class ComponentYieldOut(Out):
    component: str
    count: int


class AmountsOut(Out):
    batch: TotalsOut  # type: ignore[valid-type]
    per_serving: TotalsOut  # type: ignore[valid-type]
    per_100g: TotalsOut  # type: ignore[valid-type]


class ComponentAmountsOut(AmountsOut):
    component: str
    enough_for: int


class PortionKindNamesOut(Out):
    name: str
    count: int
    components: list[str]


class AnalysisOut(AmountsOut):
    servings: int
    unit: str
    is_servings_assumed: bool
    components: list[ComponentAmountsOut]
    suggested_portions: list[PortionKindNamesOut]


class DoubtedFigureOut(Out):
    """A figure of one portion, and between what it lies nine times in ten."""

    key: str
    value: To2
    low: To2
    high: To2


class NarrowingOut(Out):
    """What would narrow a figure, and which part of its doubt that is."""

    words: str
    share: To2


class DoubtedOut(Out):
    """How far what a portion holds may be off, and what would narrow its free sugar most."""

    figures: list[DoubtedFigureOut]
    narrowing: list[NarrowingOut]


class AnalysedOut(AnalysisOut):
    uncertainty: DoubtedOut


class _ReadingOut(Out):
    title: str
    cup: str
    cup_ml: float
    cup_reason: str
    oven_problem: str
    oven: OvenOut | None
    bake_minutes: list[int] | None
    lines: list[ReadLineOut]
    steps: list[str]
    tin: TinOut | None
    times: list[StepTimeOut]
    component_yields: list[ComponentYieldOut]
    analysis: AnalysisOut | None
    left_out: list[LeftOutOut]
    portions: PortionsOut | None
    text_lines: list[TextLineOut]
    source: str


# "yield" is a word of Python, so the field can't be declared in a class body.
_yield_field: dict[str, Any] = {"yield": (YieldOut | None, Field(validation_alias="yields"))}


ReadingOut = create_model("ReadingOut", __base__=_ReadingOut, **_yield_field)
