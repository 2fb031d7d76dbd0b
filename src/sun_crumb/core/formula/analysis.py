"""What a formula holds: whole, per serving and per 100 g, and the same for each component."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.formula.portions import PortionKind, served, suggested_kinds
from sun_crumb.core.formula.recipe import Formula
from sun_crumb.core.formula.totals import Totals, portion, total


@dataclass(frozen=True, slots=True)
class ComponentAmounts:
    """What one component holds; its serving is what a portion that gets it holds, of which it is ``enough_for`` so many."""

    component: str
    enough_for: int
    batch: Totals
    per_serving: Totals
    per_100g: Totals


@dataclass(frozen=True, slots=True)
class Analysis:
    """What a formula holds; the names are the contract of the command line's ``analyse``."""

    servings: int
    unit: str
    is_servings_assumed: bool
    batch: Totals
    per_serving: Totals
    per_100g: Totals
    components: tuple[ComponentAmounts, ...]
    suggested_portions: tuple[PortionKind, ...]


def analyse(formula: Formula) -> Analysis:
    """Return what *formula* holds: masses [g], energy [kcal], whole, per serving and per 100 g, and for each component.

    Parameters
    ----------
    formula
        Weighed lines; none give zeros.

    Examples
    --------
    >>> analyse(Formula("nothing", (), 4)).per_serving.mass_g
    0.0
    """
    whole = total(formula.lines)
    return Analysis(
        servings=formula.servings,
        unit=formula.unit,
        is_servings_assumed=formula.is_servings_assumed,
        batch=whole,
        per_serving=portion(served(formula), formula.servings),
        per_100g=_per_100g(whole),
        components=tuple(_component(formula, name) for name in formula.components),
        suggested_portions=suggested_kinds(formula),
    )


def _component(formula: Formula, name: str) -> ComponentAmounts:
    part, enough = total(formula.only(name).lines), formula.enough_for(name)
    return ComponentAmounts(name, enough, part, portion(part, enough), _per_100g(part))


def _per_100g(whole: Totals) -> Totals:
    return whole.scaled(100 / whole.mass_g) if whole.mass_g else whole
