"""Plans, and what is asked of them."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from pydantic import Field

from sun_crumb.api.schemas.base import Out, SavingsOut, To1, To2, To3, To4, To5, TotalsOut
from sun_crumb.api.schemas.checked import FamilyOut
from sun_crumb.api.schemas.reading import AnalysisOut, DoubtedOut


class PlanLineOut(Out):
    position: int | None
    component: str
    ingredient: str
    name: str
    before_g: float
    after_g: float
    household_before: str
    household: str
    reason: str
    is_locked: bool
    step_g: To3
    can_set: bool


class MetricOut(Out):
    key: str
    name: str
    before: To5
    after: To5
    deviation: To4
    band: Annotated[list[float], Field(validation_alias="limits")]
    norm: list[float] | None
    level: Literal["balanced", "strained", "off"]
    words: str


class BalanceOut(Out):
    component: str
    family: str
    family_name: str
    confidence: To2
    is_sure: bool
    candidates: list[FamilyOut]
    residual: str
    metrics: Annotated[list[MetricOut], Field(validation_alias="verdicts")]


class ByTheBookOut(Out):
    ingredient: str
    rule: str
    rule_g: float
    plan_g: float
    why: str


class UnmetOut(Out):
    goal: str
    asked: float
    reached: float
    words: str


class FlavourOut(Out):
    key: str
    ingredient: str
    name: str
    amount: str
    words: str
    grams: float
    position: int | None
    is_in: bool


class ClaimOut(Out):
    key: str
    law: str
    name: str
    is_allowed: bool
    why: str


class PathSideOut(Out):
    """One path's plan in figures per portion; without figures where the path finds nothing to cut."""

    path: str
    name: str
    problem: str
    status: Literal["balanced", "strained", "unmet"] | None
    per_serving: TotalsOut | None  # type: ignore[valid-type]
    sweetness: To3
    from_sweeteners: To3
    changed: int
    effort: int
    cost: To2 | None
    new: list[str]
    unmet: list[str]
    cautions: int
    beaten_by: str


class PathSidesOut(Out):
    paths: list[PathSideOut]
    solve_ms: To1


class FrontierPointOut(Out):
    cut: To4
    reached: To4
    sweetness: To4
    free_sugars_who_g: To4
    energy_kcal: To4
    status: Literal["balanced", "strained", "unmet"]
    off_by: To4
    off_in: str
    is_front: bool
    keep_sweet: To4


class FrontierOut(Out):
    points: list[FrontierPointOut]


class RelaxationOut(Out):
    goal: str
    words: str
    changes: dict[str, Any]


class RelaxationsOut(Out):
    relaxations: list[RelaxationOut]


class OtherOut(Out):
    """Another plan for the same wish, nearly as good: how it differs, and the goals' new values that lead to it."""

    words: str
    changes: dict[str, list[str]]
    brings: list[str]
    status: Literal["balanced", "strained", "unmet"]
    per_serving: TotalsOut  # type: ignore[valid-type]
    off_by: To2
    effort: int


class OthersOut(Out):
    others: list[OtherOut]


class NudgesOut(Out):
    """What a little more of one goal costs in the others."""

    nudges: list[RelaxationOut]


class PreviewLineOut(Out):
    position: int | None
    component: str
    ingredient: str
    after_g: To1
    household: str


class PreviewOut(Out):
    lines: list[PreviewLineOut]
    balance: list[BalanceOut]
    per_serving: TotalsOut  # type: ignore[valid-type]
    savings_per_serving: SavingsOut  # type: ignore[valid-type]
    solve_ms: To2


class DifferenceLineOut(Out):
    component: str
    ingredient: str
    name: str
    first_g: To1
    second_g: To1
    first: str
    second: str
    is_changed: bool
    words: str


class DifferenceOut(Out):
    lines: list[DifferenceLineOut]
    first: TotalsOut  # type: ignore[valid-type]
    second: TotalsOut  # type: ignore[valid-type]
    mass_ratio: To3


class RecastOut(Out):
    """One component on another base: by which pattern, what is done otherwise, what can't be had."""

    component: str
    base: str
    words: str
    pattern: str
    pattern_name: str
    family_before: str
    family: str
    batter: str
    cannot: str


class BaseOut(Out):
    """A base that something of the recipe can be made on, the words for it, and the pattern that each component would follow.

    Where ``is_whole`` is false it can be had for those components alone.
    """

    key: str
    name: str
    words: str
    parts: dict[str, str]
    is_whole: bool


class LikelyOut(Out):
    """How sweet it is beside the original, between what that lies nine times in ten, and how likely it is as sweet as asked."""

    ratio: To3
    low: To3
    high: To3
    chance: To3
    words: str


class PlanDoubtOut(Out):
    """How far the figures of a portion may be off, before and after."""

    before: DoubtedOut
    after: DoubtedOut
    as_sweet: LikelyOut | None


class PlanOut(Out):
    status: Literal["balanced", "strained", "unmet"]
    words: str
    lines: list[PlanLineOut]
    balance: list[BalanceOut]
    before: Annotated[AnalysisOut, Field(validation_alias="holds_before")]
    after: Annotated[AnalysisOut, Field(validation_alias="holds_after")]
    savings_per_serving: Annotated[SavingsOut, Field(validation_alias="savings")]  # type: ignore[valid-type]
    savings_per_batch: SavingsOut  # type: ignore[valid-type]
    by_the_book: list[ByTheBookOut]
    cautions: list[str]
    advice: list[str]
    flavour: list[FlavourOut]
    instead: list[str]
    claims: list[ClaimOut]
    unmet: list[UnmetOut]
    is_proven: bool
    recast: list[RecastOut]
    bases: list[BaseOut]
    uncertainty: PlanDoubtOut | None
    solve_ms: To1
