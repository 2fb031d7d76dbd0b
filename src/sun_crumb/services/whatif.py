"""Paths side by side, the frontier, the smallest change of a wish, previews, differences of versions; nothing is kept."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, field, replace
from functools import lru_cache
from time import perf_counter
from typing import Any

from sun_crumb.core.exploring import (
    FrontierPoint,
    Nudge,
    Other,
    PathSide,
    Relaxation,
    front,
    others,
    relaxations,
    sensitivity,
    side_by_side,
)
from sun_crumb.core.formula import Formula, Totals, portion, served, total
from sun_crumb.core.formula.told import told_food
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.rework import Drag, frame_of
from sun_crumb.core.sugars.savings import Savings, savings
from sun_crumb.core.telling.unmet import ComponentBalance, Status
from sun_crumb.core.wish import Goals, cost_of
from sun_crumb.schemas.recipes import PreviewIn
from sun_crumb.services.kitchen import household_text
from sun_crumb.services.own_patterns import as_households
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import prices_in, settings_in
from sun_crumb.services.recipes import original_in, stored_formula, stored_versions
from sun_crumb.services.wishes import amounts_in, goals_of
from sun_crumb.store import Database


@dataclass(frozen=True, slots=True)
class PathShown:
    """One path's plan in figures per portion, with its cost where prices are known; without figures where it finds nothing to cut."""

    path: str
    name: str
    problem: str
    status: Status | None
    per_serving: Totals | None
    sweetness: float
    from_sweeteners: float
    changed: int
    effort: int
    cost: float | None
    new: tuple[str, ...]
    unmet: tuple[str, ...]
    cautions: int
    beaten_by: str


@dataclass(frozen=True, slots=True)
class PathsShown:
    """All paths side by side, and how long they took [ms]."""

    paths: tuple[PathShown, ...]
    solve_ms: float


def paths_shown(
    formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard, prices: dict[str, float] | None = None
) -> PathsShown:
    """Return every path's plan for a formula in figures per portion, with its cost where prices are known."""
    start = perf_counter()
    sides = tuple(_shown(side, prices or {}) for side in side_by_side(formula, goals, pantry, cup))
    return PathsShown(sides, 1000 * (perf_counter() - start))


def _shown(side: PathSide, prices: dict[str, float]) -> PathShown:
    plan = side.plan
    return PathShown(
        path=side.path,
        name=side.name,
        problem=side.problem,
        status=plan.status if plan else None,
        per_serving=portion(served(plan.after), plan.after.servings) if plan else None,
        sweetness=side.sweetness,
        from_sweeteners=side.from_sweeteners,
        changed=side.changed,
        effort=side.effort,
        cost=cost_of(plan.after.lines, prices) if plan else None,
        new=tuple(line.name for line in plan.lines if line.position is None) if plan else (),
        unmet=tuple(u.words for u in plan.unmet) if plan else (),
        cautions=len(plan.cautions) if plan else 0,
        beaten_by=side.beaten_by,
    )


def compare_paths(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> PathsShown:
    """Return all paths for a recipe's original, side by side."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return paths_shown(formula, goals, pantry, standard, prices_in(database))


def compare_cuts(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> list[FrontierPoint]:
    """Return how sweet a recipe can stay at each of twelve cuts, and what that costs."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return front(formula, goals, pantry, standard)


@dataclass(frozen=True, slots=True)
class OtherShown:
    """A plan that does it otherwise and is nearly as good: how, the goals' new values, and a portion of it."""

    words: str
    changes: dict[str, tuple[str, ...]]
    brings: tuple[str, ...]
    status: Status
    per_serving: Totals
    off_by: float
    effort: int


def other_ways(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> list[OtherShown]:
    """Return plans for the same wish that do it otherwise and are nearly as good."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return [shown_other(one) for one in others(formula, goals, pantry, standard)]


def shown_other(one: Other) -> OtherShown:
    """Return another plan as it is shown."""
    after = one.plan.after
    return OtherShown(
        one.words,
        one.changes,
        one.brings,
        one.plan.status,
        portion(served(after), after.servings),
        one.off_by,
        one.effort,
    )


def nudge(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> list[Nudge]:
    """Return what a little more sweetness and a bigger cut cost in the other goals."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return sensitivity(formula, goals, pantry, standard)


def relax(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> list[Relaxation]:
    """Return the smallest changes that would bring a wish into balance, the new values as they are asked for."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return [replace(r, changes=_asked(r.changes)) for r in relaxations(formula, goals, pantry, standard)]


def _asked(changes: dict[str, Any]) -> dict[str, Any]:
    return {name: amounts_in(value) if name == "amounts" else value for name, value in changes.items()}


@dataclass(frozen=True, slots=True)
class _Setting:
    """What stays as it is while a slider moves: two are the same where recipe, foods and the rest of the wish are."""

    formula: Formula
    foods: tuple[Ingredient, ...]
    support: tuple[tuple[str, str, float], ...]
    wish: str
    goals: Goals = field(compare=False)
    pantry: Pantry = field(compare=False)

    @classmethod
    def of(cls, formula: Formula, goals: Goals, pantry: Pantry, support: Iterable[tuple[str, str, float]]) -> _Setting:
        support = tuple(support)
        frame = frame_of(goals, formula)
        foods = tuple(pantry[key] for _, key, _ in support)
        return cls(
            formula, foods, support, repr(replace(frame, locks=dict(sorted(frame.locks.items())))), frame, pantry
        )


@lru_cache(maxsize=32)
def _drag(setting: _Setting) -> Drag:
    """Return what a slider's next positions start from: kept for the last few sliders, the same for the same setting."""
    return Drag(setting.formula, setting.goals, setting.pantry, setting.support)


@dataclass(frozen=True, slots=True)
class PreviewLine:
    """One line of a quick plan [g]; ``position`` is the original's, None for what is new."""

    position: int | None
    component: str
    ingredient: str
    after_g: float
    household: str


@dataclass(frozen=True, slots=True)
class PreviewShown:
    """A quick plan, for while a slider moves, and how long it took [ms]."""

    lines: tuple[PreviewLine, ...]
    balance: tuple[ComponentBalance, ...]
    per_serving: Totals
    savings_per_serving: Savings
    solve_ms: float


def preview_recipe(database: Database, recipe_id: int, body: PreviewIn) -> PreviewShown:
    """Return a quick plan with the last one's ingredients, for while a slider moves: read in one go, since it is asked for at every step."""
    with database.reading() as session:
        pantry = pantry_in(session)
        formula, own_cup = original_in(session, recipe_id, pantry)
        prices = settings_in(session).prices if body.most_cost is not None else None
        goals = as_households(session, goals_of(body, pantry, prices), pantry)
    standard = cup_standard(body.cup or own_cup)
    support = [(s.component, s.ingredient, s.grams) for s in body.support]
    start = perf_counter()
    found = _drag(_Setting.of(formula, goals, pantry, support)).at(goals)
    return PreviewShown(
        lines=tuple(
            PreviewLine(
                position,
                component,
                key,
                grams,
                told_food(formula, pantry[key], grams, standard) if grams > 0 else "none",
            )
            for position, component, key, grams in found.lines
        ),
        balance=found.balance,
        per_serving=portion(served(found.after), found.after.servings),
        savings_per_serving=savings(served(formula), served(found.after), formula.servings),
        solve_ms=1000 * (perf_counter() - start),
    )


def _stored(database: Database, recipe_id: int, cup: str | None) -> tuple[Formula, CupStandard, Pantry]:
    formula, own_cup, pantry = stored_formula(database, recipe_id)
    return formula, cup_standard(cup or own_cup), pantry


@dataclass(frozen=True, slots=True)
class DifferenceLine:
    """One food of two versions [g]."""

    component: str
    ingredient: str
    name: str
    first_g: float
    second_g: float
    first: str
    second: str
    is_changed: bool
    words: str


@dataclass(frozen=True, slots=True)
class Difference:
    """Two versions line by line, and what a portion of each holds."""

    lines: tuple[DifferenceLine, ...]
    first: Totals
    second: Totals
    mass_ratio: float


def difference(database: Database, recipe_id: int, first: int, second: int) -> Difference:
    """Return two versions of a recipe line by line, and what a portion of each holds."""
    (one, two), cup = stored_versions(database, recipe_id, (first, second))
    foods = {(x.component, x.ingredient.key): x.ingredient for x in (*one.lines, *two.lines)}
    return Difference(
        lines=tuple(
            _difference_line(component, ingredient, _grams_of(one, component, key), _grams_of(two, component, key), cup)
            for (component, key), ingredient in foods.items()
        ),
        first=portion(served(one), one.servings),
        second=portion(served(two), two.servings),
        mass_ratio=total(two.lines).mass_g / total(one.lines).mass_g,
    )


def _grams_of(formula: Formula, component: str, key: str) -> float:
    return sum(x.grams for x in formula.lines if (x.component, x.ingredient.key) == (component, key))


def _difference_line(component: str, food: Ingredient, first: float, second: float, cup: str) -> DifferenceLine:
    return DifferenceLine(
        component=component,
        ingredient=food.key,
        name=food.name,
        first_g=first,
        second_g=second,
        first=household_text(food, first, cup) if first else "none",
        second=household_text(food, second, cup) if second else "none",
        is_changed=abs(first - second) > 0.05,
        words=_moved(second - first),
    )


def _moved(grams: float) -> str:
    if abs(grams) <= 0.05:
        return ""
    return f"{grams_text(abs(grams))} {'more' if grams > 0 else 'less'}"
