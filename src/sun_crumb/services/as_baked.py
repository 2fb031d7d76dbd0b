"""A bake as the core judges it: the recipe as it was, as planned and as it went into the tin."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.balance import Family, families
from sun_crumb.core.balance.nature import nature_of
from sun_crumb.core.formula import Formula
from sun_crumb.core.kitchen.weighing import as_weighed
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.wish import Goals
from sun_crumb.schemas.recipes import GoalsIn
from sun_crumb.services.soundness import original_of, sound_version
from sun_crumb.services.wishes import goals_of
from sun_crumb.store.tables import Bake


@dataclass(frozen=True, slots=True)
class AsBaked:
    """A bake as the core judges it: the recipe as it was, as planned, as baked; the wish; the kind of its main part; the pantry."""

    original: Formula
    planned: Formula
    baked: Formula
    goals: Goals | None
    component: str
    family: Family
    pantry: Pantry
    cup: str


def as_baked(row: Bake, pantry: Pantry) -> AsBaked:
    """Return a bake with what it was made of.

    Raises
    ------
    DamagedError
        Its recipe can't be worked with.
    """
    version = row.version
    recipe = version.recipe
    original = sound_version(recipe, original_of(recipe), pantry)
    planned = sound_version(recipe, version, pantry)
    baked = as_weighed(planned, {int(k): v for k, v in (row.weights or {}).items()})
    goals = goals_of(GoalsIn.model_validate(version.goals), pantry) if version.goals is not None else None
    component = original.heaviest()
    said = goals.families.get(component) if goals else None
    family = families()[said] if said else nature_of(original, component).family
    return AsBaked(original, planned, baked, goals, component, family, pantry, recipe.cup)


def over_told(took: float | None, told: tuple[int, int] | None) -> float | None:
    """Return how long a bake took over the time that its recipe tells [min]; None where one of them is not known."""
    if took is None or not told or told[0] <= 0:
        return None
    # Within what the recipe tells it took just its time.
    low, high = told
    return took / low if took < low else took / high if took > high else 1.0
