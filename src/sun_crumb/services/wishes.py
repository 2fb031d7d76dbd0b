"""A wish as it is asked for, kept and shown."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from typing import Any

from sun_crumb.core.pantry import Pantry
from sun_crumb.core.wish import Goals
from sun_crumb.schemas.recipes import GoalsIn
from sun_crumb.services.kitchen import cupboard_keys, pantry_keys
from sun_crumb.services.views import amounts_view


def goals_of(body: GoalsIn, pantry: Pantry, prices: Mapping[str, float] | None = None) -> Goals:
    """Return the wish that *body* asks for; foods are named by key or by name.

    Raises
    ------
    CoreError
        A food that the pantry doesn't hold, a name that isn't known, a number out of its range; names the field.
    """
    named = [a.ingredient for a in body.amounts]
    return Goals(
        path=body.path,
        cut=body.cut,
        keep_sweet=body.keep_sweet,
        definition=body.definition,
        diets=tuple(body.diets),
        cupboard=None if body.cupboard is None else cupboard_keys(body.cupboard, pantry),
        avoid=tuple(body.avoid),
        eaters=tuple(body.eaters),
        without=_unique(pantry_keys(body.without, pantry, "without")),
        including=_unique(pantry_keys(body.including, pantry, "including")),
        most_energy_kcal=body.most_energy_kcal,
        most_free_sugar_g=body.most_free_sugar_g,
        most_cost=body.most_cost,
        prices=dict(prices or {}) if body.most_cost is not None else {},
        families=body.families,
        locks=body.locks,
        amounts=tuple(
            (a.component, key, a.grams)
            for a, key in zip(body.amounts, pantry_keys(named, pantry, "amounts"), strict=True)
        ),
        most_new=body.most_new,
        caps=body.caps,
        flavours=None if body.flavours is None else tuple(body.flavours),
    )


def _unique(keys: Iterable[str]) -> tuple[str, ...]:
    return tuple(dict.fromkeys(keys))


def goals_view(goals: Goals) -> dict[str, Any]:
    """Return a wish as it is kept with its version: a GoalsIn with nothing left open."""
    return {
        "path": goals.path,
        "cut": goals.wanted_cut,
        "keep_sweet": goals.wanted_sweetness,
        "definition": goals.counted,
        "diets": list(goals.diets),
        "cupboard": None if goals.cupboard is None else list(goals.cupboard),
        "avoid": list(goals.avoid),
        "eaters": list(goals.eaters),
        "without": list(goals.without),
        "including": list(goals.including),
        "most_energy_kcal": goals.most_energy_kcal,
        "most_free_sugar_g": goals.most_free_sugar_g,
        "most_cost": goals.most_cost,
        "families": goals.families,
        "locks": {str(k): v for k, v in goals.locks.items()},
        "amounts": amounts_view(goals.amounts),
        "most_new": goals.most_new,
        "caps": goals.caps,
        "flavours": None if goals.flavours is None else list(goals.flavours),
    }


def foods_in(goals: Mapping[str, Any]) -> set[str]:
    """Return the keys of the foods that a kept wish names."""
    named = {a["ingredient"] for a in goals.get("amounts") or ()}
    return named.union(*(goals.get(field) or () for field in ("cupboard", "without", "including")))


def renamed(goals: GoalsIn, keys: Mapping[str, str]) -> GoalsIn:
    """Return a wish whose foods go by other *keys*."""

    def new(names: list[str]) -> list[str]:
        return [keys.get(name, name) for name in names]

    return goals.model_copy(
        update={
            "cupboard": None if goals.cupboard is None else new(goals.cupboard),
            "without": new(goals.without),
            "including": new(goals.including),
            "amounts": [
                a.model_copy(update={"ingredient": keys.get(a.ingredient, a.ingredient)}) for a in goals.amounts
            ],
        }
    )
