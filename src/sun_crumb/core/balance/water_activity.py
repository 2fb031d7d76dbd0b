"""How free the water of a moist crumb is: an estimate that only compares two desserts."""

from __future__ import annotations

from collections.abc import Iterable
from functools import lru_cache
from math import exp

import numpy as np

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.reference import constant, table

# Molar mass [g/mol] and Norrish's K of what dissolves, by its field of a composition.
SOLUTES = {row["field"]: (float(row["molar_g"]), float(row["norrish_k"])) for row in table("solutes")}
WATER_MOLAR, ETHANOL_MOLAR = constant("water_molar"), constant("ethanol_molar")
LEAST_WATER = 0.20


def solution_activity(water_g: float, solutes_g: dict[str, float]) -> float:
    """Return the water activity of a solution by Norrish's equation, solutes joined by Ross's product.

    Parameters
    ----------
    water_g
        Water [g], > 0.
    solutes_g
        Mass by the names of SOLUTES [g], >= 0.

    Raises
    ------
    OutOfDomainError
        There is no water.

    Notes
    -----
    ``a_w = X_w exp(-K X_s^2)`` for each solute in all the water, multiplied.

    Examples
    --------
    >>> round(solution_activity(50.0, {"sucrose_g": 50.0}), 3)
    0.935
    """
    if water_g <= 0:
        raise OutOfDomainError("water activity needs water", field="water_g", water_g=water_g)
    water = water_g / WATER_MOLAR
    activity = 1.0
    for name, mass in solutes_g.items():
        molar, k = SOLUTES[name]
        moles = mass / molar
        x_solute = moles / (water + moles)
        activity *= (1 - x_solute) * exp(-k * x_solute**2)
    return activity


def crumb_activity(lines: Iterable[FormulaLine]) -> float | None:
    """Return the water activity estimated for a crumb that keeps all its water, or None below 20 % of water."""
    lines = list(lines)
    mass = sum(line.grams for line in lines)
    if not mass:
        return None
    held = np.array([line.grams for line in lines]) @ np.array([_solutes(line.ingredient) for line in lines])
    water, *solutes = held.tolist()
    if water / mass < LEAST_WATER:
        return None
    return solution_activity(water, dict(zip(SOLUTES, solutes, strict=True)))


@lru_cache(maxsize=2048)
def _solutes(ingredient: Ingredient) -> tuple[float, ...]:
    """Return the water and each of the SOLUTES in 1 g."""
    return tuple(getattr(ingredient.per_100g, name) / 100 for name in ("water_g", *SOLUTES))
