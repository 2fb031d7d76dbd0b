"""Beside the best plan, really different ones that are nearly as good: other sweeteners, other adjusters."""

from __future__ import annotations

from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace

from sun_crumb.core.exploring.compare import RANK, effort_of, point_of
from sun_crumb.core.exploring.tried import tried
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.rework.plan import Plan, rework
from sun_crumb.core.wish.goals import Goals

MOST_OTHERS = 3
# How much further off than the best, in bands, a plan may be and still be nearly as good (judgement).
STRETCH = 0.6


@dataclass(frozen=True, slots=True)
class Other:
    """Another plan: the goals' new values that lead to it, in words, what comes in, and how it stands beside the best."""

    changes: dict[str, tuple[str, ...]]
    words: str
    brings: tuple[str, ...]
    plan: Plan
    off_by: float
    effort: int


def others(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None = None) -> list[Other]:
    """Return up to three plans for the same wish that do it otherwise, the nearest to the best first.

    Each does without something that the best brings in, or without all of it; those that fall further off than STRETCH bands, or out
    of the best one's balance, are left out.

    Parameters
    ----------
    formula, goals, pantry, cup
        As for rework.

    Raises
    ------
    NothingToReworkError, OutOfDomainError
        As rework does.
    """
    best = rework(formula, goals, pantry, cup)
    off = point_of(best, goals).off_by

    def with_changes(changes: dict[str, tuple[str, ...]]) -> tuple[dict[str, tuple[str, ...]], Plan]:
        return changes, rework(formula, replace(goals, **changes), pantry, cup)  # type: ignore[arg-type]

    with ThreadPoolExecutor(2) as pool:
        plans = list(pool.map(with_changes, _wishes(goals, best, pantry)))
    found: list[Other] = []
    seen = {frozenset(_brought(best))}
    sweetens = any(_sweetens(best, key) for key in _brought(best))
    for changes, plan in plans:
        brings = frozenset(_brought(plan))
        point = point_of(plan, goals)
        if sweetens and not any(_sweetens(plan, key) for key in brings):
            continue  # less of everything is another wish
        if brings in seen or RANK[plan.status] > RANK[best.status] or point.off_by > max(off, 1.0) + STRETCH:
            continue
        seen.add(brings)
        found.append(Other(changes, _words(plan, best), tuple(sorted(brings)), plan, point.off_by, effort_of(plan)[1]))
    ranked = sorted(found, key=lambda one: (RANK[one.plan.status], one.off_by + EFFORT * one.effort))
    return _different(ranked)


# What a line more to change costs beside a band further off (judgement).
EFFORT = 0.15


def _different(ranked: list[Other]) -> list[Other]:
    """Return the first few of which no two sweeten mainly by the same food."""
    found: dict[str, Other] = {}
    for one in ranked:
        main = next((key for key in _brought(one.plan)), "")
        found.setdefault(main, one)
    return list(found.values())[:MOST_OTHERS]


def _wishes(goals: Goals, best: Plan, pantry: Pantry) -> Iterator[dict[str, tuple[str, ...]]]:
    """Give wishes that leave out something the best plan brings in, or begin with another sweetener of the same school."""
    brought = _brought(best)
    for without in _without(goals, brought):
        yield {"without": without}
    if goals.cupboard is not None:
        return
    held = {x.ingredient.key for x in best.before.lines}
    rest = tuple(key for key in brought[1:] if _sweetens(best, key))[:1]
    for food in tried("instead", pantry):
        key = food.key
        if key in brought or key in held or key in goals.without or food.tags & goals.excluded:
            continue
        if goals.preset.allows(food):
            yield {"cupboard": (key, *rest)}


def _brought(plan: Plan) -> tuple[str, ...]:
    """Return the keys of what a plan brings in, what weighs most first."""
    new = [line for line in plan.lines if line.position is None and line.after_g > 0 and not line.is_locked]
    own = {
        line.ingredient
        for one in plan.recast
        for line in plan.lines
        if line.component == one.component and line.position is None
    }
    keys = dict.fromkeys(line.ingredient for line in sorted(new, key=lambda x: -x.after_g))
    # What another base is made of is no choice of sweetener.
    return tuple(key for key in keys if key not in own or _sweetens(plan, key))


def _sweetens(plan: Plan, key: str) -> bool:
    food = next(x.ingredient for x in plan.after.lines if x.ingredient.key == key)
    return food.has_role("sugar", "syrup", "paste", "bulk", "intense")


def _without(goals: Goals, keys: tuple[str, ...]) -> Iterator[tuple[str, ...]]:
    """Give what is to be left out: each of what came in, each two of it, and all."""
    asked = set(goals.including)
    free = [key for key in keys if key not in asked]
    for key in free:
        yield (*goals.without, key)
    for n, one in enumerate(free):
        for two in free[n + 1 :]:
            yield (*goals.without, one, two)
    if len(free) > 2:
        yield (*goals.without, *free)


def _words(plan: Plan, best: Plan) -> str:
    """Return what another plan takes instead of what the best does, and what that means for a portion."""
    old, new = _brought(best), _brought(plan)
    names = {x.ingredient.key: x.ingredient.name for f in (plan.after, best.after) for x in f.lines}
    comes = [names[key] for key in new if key not in old]
    goes = [names[key] for key in old if key not in new]
    said = (
        f"{' and '.join(comes) or 'nothing'} instead of {' and '.join(goes)}" if goes else f"also {' and '.join(comes)}"
    )
    sugar = (plan.totals_after.free_sugars_who_g - best.totals_after.free_sugars_who_g) / plan.after.servings
    energy = (plan.totals_after.energy_kcal - best.totals_after.energy_kcal) / plan.after.servings
    told = []
    if abs(sugar) >= 0.1:
        told.append(f"{abs(sugar):.1f} g {'more' if sugar > 0 else 'less'} free sugar")
    if abs(energy) >= 1:
        told.append(f"{abs(energy):.0f} kcal {'more' if energy > 0 else 'less'}")
    return f"{said}: {', '.join(told)} in each {plan.after.unit}" if told else f"{said}: the same in a portion"
