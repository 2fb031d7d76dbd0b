"""A wish as it is asked for, kept and shown."""

from __future__ import annotations

from collections.abc import Iterable, Mapping

from sun_crumb.core.pantry import Pantry
from sun_crumb.core.wish import Goals
from sun_crumb.schemas.recipes import AmountIn, GoalsIn
from sun_crumb.services.kitchen import cupboard_keys, pantry_keys

# What a wish calls by the path's own where it was left open.
_FILLED = {"cut": "wanted_cut", "keep_sweet": "wanted_sweetness", "definition": "counted"}


def goals_of(body: GoalsIn, pantry: Pantry, prices: Mapping[str, float] | None = None) -> Goals:
    """Return the wish that *body* asks for; foods are named by key or by name.

    Raises
    ------
    CoreError
        A food that the pantry doesn't hold, a name that isn't known, a number out of its range; names the field.
    """
    named = pantry_keys([a.ingredient for a in body.amounts], pantry, "amounts")
    asked = {name: getattr(body, name) for name in GoalsIn.model_fields}
    asked |= {name: tuple(value) for name, value in asked.items() if isinstance(value, list)}
    return Goals(
        **asked
        | {
            "cupboard": None if body.cupboard is None else cupboard_keys(body.cupboard, pantry),
            "without": _unique(pantry_keys(body.without, pantry, "without")),
            "including": _unique(pantry_keys(body.including, pantry, "including")),
            "prices": dict(prices or {}) if body.most_cost is not None else {},
            "amounts": tuple((a.component, key, a.grams) for a, key in zip(body.amounts, named, strict=True)),
        }
    )


def _unique(keys: Iterable[str]) -> tuple[str, ...]:
    return tuple(dict.fromkeys(keys))


def filled(goals: Goals) -> GoalsIn:
    """Return a wish as it is kept with its version and shown: with nothing of the path's left open."""
    asked = {name: getattr(goals, _FILLED.get(name, name)) for name in GoalsIn.model_fields}
    return GoalsIn.model_validate(asked | {"amounts": amounts_in(goals.amounts)})


def amounts_in(amounts: Iterable[tuple[str, str, float]]) -> list[AmountIn]:
    """Return amounts that the baker has set of what comes in, as they are asked for."""
    return [AmountIn(component=component, ingredient=key, grams=grams) for component, key, grams in amounts]


def foods_in(goals: GoalsIn) -> set[str]:
    """Return the keys of the foods that a kept wish names."""
    return {a.ingredient for a in goals.amounts}.union(goals.cupboard or (), goals.without, goals.including)


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
