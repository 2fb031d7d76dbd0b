"""Plans, and what is asked of them."""

from __future__ import annotations

from typing import Any, Literal

from sun_crumb.api.schemas.base import Out, SavingsOut, TotalsOut
from sun_crumb.api.schemas.reading import AnalysisOut


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
    step_g: float
    can_set: bool


class MetricOut(Out):
    key: str
    name: str
    before: float
    after: float
    deviation: float
    band: list[float]
    level: Literal["balanced", "strained", "off"]
    words: str


class BalanceOut(Out):
    component: str
    family: str
    family_name: str
    residual: str
    metrics: list[MetricOut]


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
    sweetness: float
    from_sweeteners: float
    changed: int
    effort: int
    cost: float | None
    new: list[str]
    unmet: list[str]
    cautions: int
    beaten_by: str


class PathSidesOut(Out):
    paths: list[PathSideOut]
    solve_ms: float


class FrontierPointOut(Out):
    cut: float
    reached: float
    sweetness: float
    free_sugars_who_g: float
    energy_kcal: float
    status: Literal["balanced", "strained", "unmet"]
    off_by: float
    off_in: str


class FrontierOut(Out):
    points: list[FrontierPointOut]


class RelaxationOut(Out):
    goal: str
    words: str
    changes: dict[str, Any]


class RelaxationsOut(Out):
    relaxations: list[RelaxationOut]


class NudgesOut(Out):
    """What a little more of one goal costs in the others."""

    nudges: list[RelaxationOut]


class PreviewLineOut(Out):
    position: int | None
    component: str
    ingredient: str
    after_g: float
    household: str


class PreviewOut(Out):
    lines: list[PreviewLineOut]
    balance: list[BalanceOut]
    per_serving: TotalsOut  # type: ignore[valid-type]
    savings_per_serving: SavingsOut  # type: ignore[valid-type]
    solve_ms: float


class DifferenceLineOut(Out):
    component: str
    ingredient: str
    name: str
    first_g: float
    second_g: float
    first: str
    second: str
    is_changed: bool
    words: str


class DifferenceOut(Out):
    lines: list[DifferenceLineOut]
    first: TotalsOut  # type: ignore[valid-type]
    second: TotalsOut  # type: ignore[valid-type]
    mass_ratio: float


class PlanOut(Out):
    status: Literal["balanced", "strained", "unmet"]
    words: str
    lines: list[PlanLineOut]
    balance: list[BalanceOut]
    before: AnalysisOut
    after: AnalysisOut
    savings_per_serving: SavingsOut  # type: ignore[valid-type]
    savings_per_batch: SavingsOut  # type: ignore[valid-type]
    by_the_book: list[ByTheBookOut]
    cautions: list[str]
    advice: list[str]
    flavour: list[FlavourOut]
    instead: list[str]
    claims: list[ClaimOut]
    unmet: list[UnmetOut]
    is_proven: bool
    solve_ms: float
