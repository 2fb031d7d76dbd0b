"""Bake day: when it is served, timers, preparations."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Literal

from pydantic import AfterValidator, Field

from sun_crumb.schemas.days import FIRST_DAY, LAST_DAY, Sleep
from sun_crumb.schemas.fields import ClientKey, Id, In
from sun_crumb.schemas.recipes import StepWords


def _local(at: datetime) -> datetime:
    if not FIRST_DAY <= at.date() <= LAST_DAY:
        raise ValueError(f"{at.date()} lies outside {FIRST_DAY} to {LAST_DAY}")
    return at.replace(tzinfo=None, second=0, microsecond=0)


LocalTime = Annotated[datetime, AfterValidator(_local)]


class BesideIn(In):
    """Another bake of the same day."""

    recipe_id: Id
    version_id: Id


class ServeIn(In):
    """When a version is to be ready, in local time, the hours of sleep (empty for none), and whether it may begin only from now on.

    ``beside`` is what else is baked for the same time, ``pins`` when some tasks begin by the cook's own word, by their ids.
    """

    serve: LocalTime
    sleep: Sleep = ""
    from_now: bool = True
    beside: Annotated[list[BesideIn], Field(max_length=3)] = []
    pins: Annotated[dict[Annotated[str, Field(max_length=40)], LocalTime], Field(max_length=60)] = {}


class StepWordsIn(In):
    """The baker's own words for a step, by its key; empty ones take them back."""

    key: Annotated[str, Field(min_length=1, max_length=2000)]
    text: StepWords


class GoesInIn(In):
    """Where a line of the original goes in: its place in the list, and the step by its key; no key leaves it to the method's words."""

    position: Annotated[int, Field(ge=0, le=399)]
    step: Annotated[str, Field(max_length=2000)] = ""


class TimerIn(In):
    """A timer: its name, how long [s], whether it rings every so long, and the step that it is for."""

    name: Annotated[str, Field(min_length=1, max_length=120)]
    seconds: Annotated[int, Field(ge=1, le=7 * 86_400)]
    repeats: bool = False
    recipe_id: Id | None = None
    version_id: Id | None = None
    step: Annotated[int, Field(ge=1, le=400)] | None = None
    client_key: ClientKey = None


class WeighIn(In):
    """What a food of a step weighs [g]: its place in the version's lines, the step; no weight takes the weighing away."""

    position: Annotated[int, Field(ge=0, le=399)]
    step: Annotated[int, Field(ge=1, le=400)]
    grams: Annotated[float, Field(ge=0, le=1e6)] | None


class ChoiceIn(In):
    """How to go on from a weighing that is off."""

    kind: Literal["keep", "rebalance", "scale", "take_out"]


class GivenIn(In):
    """A sum's figures and choices, by key."""

    given: Annotated[
        dict[Annotated[str, Field(max_length=30)], Annotated[str, Field(max_length=60)]], Field(max_length=20)
    ]


class UseIn(GivenIn):
    """A sum, and where what it makes goes: a version of a recipe, a line's place there (none for a line of its own), how much of it [g]."""

    recipe_id: Id
    version_id: Id
    position: Annotated[int, Field(ge=0, le=2000)] | None = None
    component: Annotated[str, Field(max_length=80)] | None = None
    grams: Annotated[float, Field(gt=0, le=50_000)] | None = None
    client_key: ClientKey = None
