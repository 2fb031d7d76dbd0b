"""Bake days, schedules, timers, preparations."""

from __future__ import annotations

from typing import Literal

from sun_crumb.api.schemas.base import Out, To1
from sun_crumb.api.schemas.method import MethodTextOut


class ToBuyOut(Out):
    ingredient: str
    name: str
    grams: To1
    told: str
    of: str


class KeptOut(Out):
    component: str
    about: Literal["cool", "keep"]
    words: str


class CutUpOut(Out):
    tin: str
    pieces: int
    words: str
    grams: To1
    free_sugars_who_g: To1


class BakeDayOut(Out):
    recipe_id: int
    version_id: int
    number: int
    label: str
    servings: int
    unit: str
    free_sugars_who_g: To1
    energy_kcal: To1
    method: MethodTextOut
    to_buy: list[ToBuyOut]
    allergens: list[str]
    cautions: list[str]
    keeping: list[KeptOut]
    cut: CutUpOut | None


class PlacedTaskOut(Out):
    """A task in local time."""

    id: str
    start: str
    end: str
    hands_min: int
    occupies: str
    text: str


class ScheduleOut(Out):
    title: str
    feasible: bool
    start: str | None
    makespan_min: int | None
    tasks: list[PlacedTaskOut]
    clashes: list[str]
    earliest: str | None
    later_min: int | None
    is_proven: bool


class ToWeighOut(Out):
    position: int
    step: int
    ingredient: str
    name: str
    component: str
    target_g: To1
    planned_g: To1
    tolerance_g: To1
    told: str
    weighed_g: To1 | None
    by_little: bool


class FollowedOut(Out):
    name: str
    before_g: To1
    after_g: To1
    told: str
    is_in: bool


class WayOnOut(Out):
    kind: Literal["keep", "rebalance", "scale", "take_out"]
    words: str
    changes: list[FollowedOut]


class QuestionOut(Out):
    position: int
    step: int
    words: str
    choices: list[WayOnOut]


class WeighedInOut(Out):
    """What is in the bowl of a bake under way."""

    recipe_id: int
    version_id: int
    lines: list[ToWeighOut]
    question: QuestionOut | None
    weighed: int
    free_sugars_who_g: To1
    planned_free_sugars_who_g: To1


class TimerOut(Out):
    id: int
    name: str
    seconds: int
    repeats: bool
    rung: int
    left_s: To1
    recipe_id: int | None
    version_id: int | None
    step: int | None


class TimersOut(Out):
    timers: list[TimerOut]


class SumFieldOut(Out):
    key: str
    name: str
    unit: str
    usual: str


class SumOut(Out):
    key: str
    name: str
    words: str
    fields: list[SumFieldOut]


class SumsOut(Out):
    sums: list[SumOut]


class FigureOut(Out):
    name: str
    told: str


class PartOut(Out):
    name: str
    amounts: list[To1]
    is_chosen: bool


class PictureOut(Out):
    kind: Literal["masses", "tins", "heats", "cuts"]
    parts: list[PartOut]


class MakesOut(Out):
    """What a recipe may take in: a food and how much of it [g]; a whole recipe's size has no weight."""

    name: str
    grams: To1 | None


class WorkedOut(Out):
    words: list[str]
    figures: list[FigureOut]
    picture: PictureOut | None
    makes: MakesOut | None
