"""Core results as plain values: the shapes that the command line prints and the API sends."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import asdict, fields
from typing import Any

from sun_crumb.core.formula import Formula, Totals, portion, served, suggested_kinds, total
from sun_crumb.core.formula.totals import TOTAL_FIELDS
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.reading import Reading, ReadLine
from sun_crumb.core.rework import Plan
from sun_crumb.core.sugars.savings import Savings
from sun_crumb.core.telling.unmet import ComponentBalance

View = dict[str, Any]


def rounded(value: float, digits: int = 2) -> float:
    """Return a number short enough to show; no negative zero."""
    return round(value, digits) + 0.0


def totals_view(totals: Totals) -> View:
    """Return totals by their contract names."""
    return {name: rounded(getattr(totals, name)) for name in TOTAL_FIELDS}


def _amounts_view(whole: Totals, one: Totals) -> View:
    return {
        "batch": totals_view(whole),
        "per_serving": totals_view(one),
        "per_100g": totals_view(whole.scaled(100 / whole.mass_g) if whole.mass_g else whole),
    }


def analysis_view(formula: Formula) -> View:
    """Return the analysis of a formula: whole, per serving, per 100 g, and the same for each component.

    A component's serving is what a portion that gets it holds.
    """
    parts = {name: total(formula.only(name).lines) for name in formula.components}
    return {
        "servings": formula.servings,
        "unit": formula.unit,
        "is_servings_assumed": formula.is_servings_assumed,
        **_amounts_view(total(formula.lines), portion(served(formula), formula.servings)),
        "components": [
            {"component": name, "enough_for": enough, **_amounts_view(part, portion(part, enough))}
            for name, part in parts.items()
            if (enough := formula.enough_for(name))
        ],
        "suggested_portions": [asdict(kind) for kind in suggested_kinds(formula)],
    }


def amounts_view(amounts: Iterable[tuple[str, str, float]]) -> list[View]:
    """Return amounts that the baker has set of what comes in."""
    return [{"component": component, "ingredient": key, "grams": grams} for component, key, grams in amounts]


def line_view(line: ReadLine, pantry: Pantry) -> View:
    """Return one read line."""
    view = {f.name: getattr(line, f.name) for f in fields(line)}
    view["alternatives"] = list(line.alternatives)
    view["candidates"] = [
        asdict(c) | {"total_sugars_g": _sugar_of(pantry[c.ingredient], c.grams)} for c in line.candidates
    ]
    view["conflict"] = (
        {"statements": [asdict(s) for s in line.conflict.statements], "fits": line.conflict.fits}
        if line.conflict
        else None
    )
    return view


def _sugar_of(ingredient: Ingredient, grams: float | None) -> float | None:
    return None if grams is None else rounded(ingredient.per_100g.total_sugars_g * grams / 100, 1)


def reading_view(reading: Reading, pantry: Pantry) -> View:
    """Return a reading; the keys are the contract of the command line's ``read``."""
    return {
        "title": reading.title,
        "yield": asdict(reading.yields) if reading.yields else None,
        "cup": reading.cup,
        "cup_ml": reading.cup_ml,
        "cup_reason": reading.cup_reason,
        "oven": asdict(reading.oven) if reading.oven else None,
        "bake_minutes": list(reading.bake_minutes) if reading.bake_minutes else None,
        "lines": [line_view(line, pantry) for line in reading.lines],
        "steps": list(reading.steps),
        "tin": asdict(reading.tin) if reading.tin else None,
        "times": [asdict(time) for time in reading.times],
        "component_yields": [asdict(own) for own in reading.component_yields],
    }


def savings_view(saved: Savings) -> View:
    """Return what a portion saves."""
    return {f.name: rounded(getattr(saved, f.name)) for f in fields(saved)}


def balance_view(balances: Iterable[ComponentBalance]) -> list[View]:
    """Return the verdicts of every component."""
    return [
        {
            "component": b.component,
            "family": b.family,
            "family_name": b.family_name,
            "residual": b.residual,
            "metrics": [
                {
                    "key": v.key,
                    "name": v.name,
                    "before": rounded(v.before, 5),
                    "after": rounded(v.after, 5),
                    "deviation": rounded(v.deviation, 4),
                    "band": [-v.band[0], v.band[1]],
                    "level": v.level,
                    "words": v.words,
                }
                for v in b.verdicts
            ],
        }
        for b in balances
    ]


def plan_view(plan: Plan, solve_ms: float) -> View:
    """Return a plan; the keys are the contract of the command line's ``rework``."""
    return {
        "status": plan.status,
        "words": plan.words,
        "lines": [asdict(line) | {"step_g": rounded(line.step_g, 3)} for line in plan.lines],
        "balance": balance_view(plan.balance),
        "before": analysis_view(plan.before),
        "after": analysis_view(plan.after),
        "savings_per_serving": savings_view(plan.savings),
        "savings_per_batch": savings_view(plan.savings.times(plan.after.servings)),
        "by_the_book": [asdict(b) for b in plan.by_the_book],
        "cautions": list(plan.cautions),
        "advice": list(plan.advice),
        "flavour": [asdict(f) for f in plan.flavour],
        "instead": list(plan.instead),
        "claims": [asdict(c) for c in plan.claims],
        "unmet": [asdict(u) for u in plan.unmet],
        "is_proven": plan.is_proven,
        "solve_ms": rounded(solve_ms, 1),
    }


def ingredient_view(ingredient: Ingredient) -> View:
    """Return what a chooser of ingredients shows, per 100 g."""
    c = ingredient.per_100g
    return {
        "key": ingredient.key,
        "name": ingredient.name,
        "group": ingredient.group,
        "energy_kcal": rounded(c.energy_kcal, 1),
        "total_sugars_g": rounded(c.total_sugars_g, 1),
        "free_sugars_who_g": rounded(c.total_sugars_g * c.free_who_share, 1),
        "water_g": rounded(c.water_g, 1),
        "source": ingredient.source,
        "locator": ingredient.locator,
    }
