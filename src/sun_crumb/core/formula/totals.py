"""Totals of weighed lines."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, fields
from functools import lru_cache

import numpy as np

from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.sugars.sweetness import intense_equivalent, linear_sweetness


@dataclass(frozen=True, slots=True)
class Totals:
    """What an amount of food holds; the names are the contract of the command line's ``analyse``."""

    mass_g: float
    energy_kcal: float
    total_sugars_g: float
    refined_sugar_g: float
    added_sugars_us_g: float
    free_sugars_who_g: float
    free_sugars_uk_g: float
    water_g: float
    sucrose_equivalent_g: float
    fat_g: float
    protein_g: float
    carbohydrate_g: float
    fibre_g: float

    def scaled(self, factor: float) -> Totals:
        """Return the totals of *factor* times as much."""
        return Totals(*(getattr(self, name) * factor for name in TOTAL_FIELDS))


TOTAL_FIELDS = tuple(f.name for f in fields(Totals))


def added(parts: Iterable[Totals]) -> Totals:
    """Return several totals together; sweetness is added up as it stands."""
    parts = list(parts)
    return Totals(*(sum(getattr(p, name) for p in parts) for name in TOTAL_FIELDS))


def free_uk_share(line: FormulaLine) -> float:
    """Return the share of a line's sugars that is free in the UK: all of it once whole fruit is broken up."""
    if line.is_crushed and line.ingredient.sugar_kind == "intrinsic" and line.ingredient.has_role("fruit"):
        return 1.0
    return line.ingredient.per_100g.free_uk_share


def total(lines: Iterable[FormulaLine]) -> Totals:
    """Return the totals of *lines* together: masses [g], energy [kcal].

    Sweetness of intense sweeteners saturates, so ``sucrose_equivalent_g`` is computed for the whole, not added up.

    Parameters
    ----------
    lines
        Weighed lines [g]; none give zeros.

    Examples
    --------
    >>> total([]).energy_kcal
    0.0

    References
    ----------
    pantry.csv (FoodData Central, and what its columns say)
    """
    lines = list(lines)
    if not lines:
        return Totals(*([0.0] * len(TOTAL_FIELDS)))
    held = [_held(line.ingredient, free_uk_share(line)) for line in lines]
    sums = (np.array([line.grams for line in lines]) @ np.array(held)).tolist()
    mass, glycosides, sweetness = sums[0], sums[-1], sums[_SWEETNESS]
    sums[_SWEETNESS] = sweetness + intense_equivalent(glycosides, mass)
    return Totals(*sums[:-1])


_SWEETNESS = TOTAL_FIELDS.index("sucrose_equivalent_g")


@lru_cache(maxsize=4096)
def _held(ingredient: Ingredient, free_uk: float) -> tuple[float, ...]:
    """Return what 1 g adds to each of the TOTAL_FIELDS, sweetness without the intense, and the glycosides last."""
    c = ingredient.per_100g
    found = Totals(
        mass_g=100.0,
        energy_kcal=c.energy_kcal,
        total_sugars_g=c.total_sugars_g,
        refined_sugar_g=c.total_sugars_g * c.refined_share,
        added_sugars_us_g=c.total_sugars_g * c.added_us_share,
        free_sugars_who_g=c.total_sugars_g * c.free_who_share,
        free_sugars_uk_g=c.total_sugars_g * free_uk,
        water_g=c.water_g,
        sucrose_equivalent_g=linear_sweetness(c),
        fat_g=c.fat_g,
        protein_g=c.protein_g,
        carbohydrate_g=c.carbohydrate_g,
        fibre_g=c.fibre_g + c.inulin_g + c.polydextrose_g,
    )
    return (*(getattr(found, name) / 100 for name in TOTAL_FIELDS), c.sweet_glycosides_g / 100)


def portion(whole: Totals, servings: int) -> Totals:
    """Return one of *servings* equal portions.

    Parameters
    ----------
    whole
        Totals of the batch.
    servings
        How many, >= 1.
    """
    return whole.scaled(1 / servings)
