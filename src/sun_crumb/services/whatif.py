"""Paths side by side, the frontier, the smallest change of a wish, previews, differences of versions; nothing is kept."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import asdict, dataclass, field, replace
from functools import lru_cache
from time import perf_counter
from typing import Any

from sun_crumb.core.exploring import frontier, relaxations, sensitivity, side_by_side
from sun_crumb.core.formula import Formula, portion, served, total
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.rework import Drag, Plan, frame_of
from sun_crumb.core.sugars.savings import savings
from sun_crumb.core.wish import Goals, cost_of
from sun_crumb.services.kitchen import household_text
from sun_crumb.services.preferences import prices_in
from sun_crumb.services.recipes import stored_formula, stored_versions
from sun_crumb.services.views import View, amounts_view, balance_view, rounded, savings_view, totals_view
from sun_crumb.store import Database


def paths_view(
    formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard, prices: dict[str, float] | None = None
) -> View:
    """Return every path's plan for a formula in figures per portion, with its cost where prices are known."""
    start = perf_counter()
    sides = []
    for side in side_by_side(formula, goals, pantry, cup):
        plan = side.plan
        sides.append(
            {
                "path": side.path,
                "name": side.name,
                "problem": side.problem,
                "status": plan.status if plan else None,
                "per_serving": totals_view(portion(served(plan.after), plan.after.servings)) if plan else None,
                "sweetness": rounded(side.sweetness, 3),
                "from_sweeteners": rounded(side.from_sweeteners, 3),
                "changed": side.changed,
                "effort": side.effort,
                "cost": _cost(plan, prices or {}),
                "new": [line.name for line in plan.lines if line.position is None] if plan else [],
                "unmet": [u.words for u in plan.unmet] if plan else [],
                "cautions": len(plan.cautions) if plan else 0,
                "beaten_by": side.beaten_by,
            }
        )
    return {"paths": sides, "solve_ms": rounded(1000 * (perf_counter() - start), 1)}


def _cost(plan: Plan | None, prices: dict[str, float]) -> float | None:
    cost = cost_of(plan.after.lines, prices) if plan else None
    return None if cost is None else rounded(cost)


def compare_paths(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> View:
    """Return all paths for a recipe's original, side by side."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return paths_view(formula, goals, pantry, standard, prices_in(database))


def compare_cuts(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> View:
    """Return what each sugar cut costs in the other goals."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    points = frontier(formula, goals, pantry, standard)
    return {"points": [{k: rounded(v, 4) if isinstance(v, float) else v for k, v in asdict(p).items()} for p in points]}


def nudge(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> View:
    """Return what a little more sweetness and a bigger cut cost in the other goals."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return {"nudges": [asdict(n) for n in sensitivity(formula, goals, pantry, standard)]}


def relax(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> View:
    """Return the smallest changes that would bring a wish into balance."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    return {
        "relaxations": [
            {"goal": r.goal, "words": r.words, "changes": _changes(r.changes)}
            for r in relaxations(formula, goals, pantry, standard)
        ]
    }


def _changes(changes: dict[str, Any]) -> dict[str, Any]:
    """Return goals' new values as they are asked for."""
    return {name: amounts_view(value) if name == "amounts" else value for name, value in changes.items()}


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


def preview_recipe(
    database: Database, recipe_id: int, goals: Goals, support: Iterable[tuple[str, str, float]], cup: str | None = None
) -> View:
    """Return a quick plan with the last one's ingredients, for while a slider moves."""
    formula, standard, pantry = _stored(database, recipe_id, cup)
    start = perf_counter()
    found = _drag(_Setting.of(formula, goals, pantry, support)).at(goals)
    return {
        "lines": [
            {
                "position": position,
                "component": component,
                "ingredient": key,
                "after_g": rounded(grams, 1),
                "household": household_text(pantry[key], grams, standard.key) if grams > 0 else "none",
            }
            for position, component, key, grams in found.lines
        ],
        "balance": balance_view(found.balance),
        "per_serving": totals_view(portion(served(found.after), found.after.servings)),
        "savings_per_serving": savings_view(savings(served(formula), served(found.after), formula.servings)),
        "solve_ms": rounded(1000 * (perf_counter() - start), 2),
    }


def _stored(database: Database, recipe_id: int, cup: str | None) -> tuple[Formula, CupStandard, Pantry]:
    formula, own_cup, pantry = stored_formula(database, recipe_id)
    return formula, cup_standard(cup or own_cup), pantry


def difference(database: Database, recipe_id: int, first: int, second: int) -> View:
    """Return two versions of a recipe line by line, and what a portion of each holds."""
    (one, two), cup = stored_versions(database, recipe_id, (first, second))
    lines = []
    for key in dict.fromkeys([(x.component, x.ingredient.key) for x in (*one.lines, *two.lines)]):
        grams = [sum(x.grams for x in f.lines if (x.component, x.ingredient.key) == key) for f in (one, two)]
        ingredient = next(x.ingredient for x in (*one.lines, *two.lines) if (x.component, x.ingredient.key) == key)
        lines.append(
            {
                "component": key[0],
                "ingredient": key[1],
                "name": ingredient.name,
                "first_g": rounded(grams[0], 1),
                "second_g": rounded(grams[1], 1),
                "first": household_text(ingredient, grams[0], cup) if grams[0] else "none",
                "second": household_text(ingredient, grams[1], cup) if grams[1] else "none",
                "is_changed": abs(grams[0] - grams[1]) > 0.05,
                "words": _moved(grams[1] - grams[0]),
            }
        )
    return {
        "lines": lines,
        "first": totals_view(portion(served(one), one.servings)),
        "second": totals_view(portion(served(two), two.servings)),
        "mass_ratio": rounded(total(two.lines).mass_g / total(one.lines).mass_g, 3),
    }


def _moved(grams: float) -> str:
    if abs(grams) <= 0.05:
        return ""
    return f"{grams_text(abs(grams))} {'more' if grams > 0 else 'less'}"
