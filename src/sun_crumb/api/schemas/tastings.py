"""Bakes as they were done, tastings, causes, trials, progress, panels, what was learned."""

from __future__ import annotations

from datetime import date

from sun_crumb.api.schemas.base import Out, To1, To2, To3, To4
from sun_crumb.api.schemas.days import BakeOut
from sun_crumb.api.schemas.rework import ClaimOut


class BakeRecordOut(Out):
    id: int
    recipe_id: int
    version_id: int
    number: int
    title: str
    label: str
    unit: str
    baked_on: date
    tin: str
    oven_c: float | None
    minutes: float | None
    swapped: str
    feel: str
    notes: str
    leftovers: float | None
    cost: float | None
    is_weighed: bool
    portions: list[BakeOut]
    photos: list[int]
    tastings: int
    liked: To2 | None


class BakeListOut(Out):
    total: int
    bakes: list[BakeRecordOut]


class ChangedBakeOut(Out):
    bake: BakeRecordOut
    figures: str


class PhotoOut(Out):
    id: int


class AspectOut(Out):
    key: str
    name: str
    words: dict[int, str]


class SheetOut(Out):
    aspects: list[AspectOut]


class TastingOut(Out):
    id: int
    bake_id: int
    tasted_on: date
    who: str
    state: str
    is_blind: bool
    scores: dict[str, int]
    said: list[str]
    words: str


class MovedOut(Out):
    component: str
    ingredient: str
    name: str
    before_g: To2
    after_g: To2


class TrialOut(Out):
    moved: list[MovedOut]
    minutes: int
    degrees: int


class CauseOut(Out):
    key: str
    aspect: str
    symptom: str
    words: str
    likely: To3
    signs: list[str]
    trial_words: str


class WhyOut(Out):
    cause: CauseOut
    trial: TrialOut | None
    problem: str


class JudgedOut(Out):
    """A bake with its sheets, their mean, and the causes of what is off."""

    bake: BakeRecordOut
    tastings: list[TastingOut]
    mean: dict[str, To2]
    said: list[str]
    causes: list[WhyOut]


class AcceptedOut(Out):
    recipe_id: int
    version_id: int
    number: int
    minutes: int
    degrees: int


class GuessedOut(Out):
    test: str
    trials: int
    right: int
    probability: float
    words: str


class TestOut(Out):
    id: int
    bake_id: int
    other_id: int
    tried_on: date
    result: GuessedOut


class TestsOut(Out):
    tests: list[TestOut]


class LessonOut(Out):
    key: str
    name: str
    kind: str
    value: To4
    low: To4
    high: To4
    answers: int
    words: str


class LearnedOut(Out):
    lessons: list[LessonOut]


class BranchOut(Out):
    version_id: int
    number: int
    label: str
    parent: int | None
    changed: str
    cut: To3
    free_sugar_g: To2
    bakes: int
    tastings: int
    mean: dict[str, To2]
    said: list[str]
    liked: To2 | None
    is_best: bool


class StandOut(Out):
    state: str
    liked_cut: To3
    next_cut: To3
    words: str


class TaperOut(Out):
    id: int
    target: To3
    path: str
    stand: StandOut


class ProgressOut(Out):
    recipe_id: int
    title: str
    branches: list[BranchOut]
    taper: TaperOut | None
    lines: list[str]


class TaperStepOut(Out):
    version_id: int


class PanelRowOut(Out):
    name: str
    told: str
    percent: int | None
    is_under: bool


class PanelOut(Out):
    law: str
    serving: str
    serving_g: To1
    rows: list[PanelRowOut]
    notes: list[str]


class PanelsOut(Out):
    version_id: int
    title: str
    label: str
    us: PanelOut
    eu: PanelOut
    claims: list[ClaimOut]


class ToTasteOut(Out):
    bake_id: int
    title: str
    label: str
    baked_on: date


class UntastedOut(Out):
    bakes: list[ToTasteOut]
