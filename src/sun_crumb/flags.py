"""A wish as the command line's flags tell it, by the same shapes and checks as the API's."""

from __future__ import annotations

import argparse
from collections.abc import Iterable

from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula
from sun_crumb.core.wish import Goals


def goals_asked(arguments: argparse.Namespace, formula: Formula) -> Goals:
    """Return the wish that the flags ask for, by the same shape and checks as the API's."""
    from pydantic import ValidationError

    from sun_crumb.core.pantry import shipped_pantry
    from sun_crumb.schemas.recipes import AmountIn, GoalsIn
    from sun_crumb.schemas.words import words_of
    from sun_crumb.services.wishes import goals_of

    def names(text: str | None) -> list[str]:
        return [word.strip() for word in (text or "").split(",") if word.strip()]

    try:
        body = GoalsIn(
            path=arguments.path,
            cut=arguments.cut,
            keep_sweet=arguments.keep_sweet,
            definition=arguments.definition,
            diets=arguments.diet or [],
            cupboard=names(arguments.cupboard) if arguments.cupboard else None,
            avoid=names(arguments.avoid),
            eaters=arguments.eater or [],
            without=names(arguments.without),
            including=names(arguments.including),
            most_energy_kcal=arguments.most_kcal,
            most_free_sugar_g=arguments.most_free_sugar,
            most_cost=arguments.most_cost,
            locks=_locks(arguments.lock or (), formula),
            amounts=[
                AmountIn(component=component, ingredient=key, grams=grams)
                for component, key, grams in _amounts(arguments.amount or (), formula)
            ],
            most_new=arguments.most_new,
            families=families_asked(arguments.family or (), formula),
            caps=dict(_named(words, "cap") for words in arguments.cap or ()),
            flavours=None if arguments.flavours is None else names(arguments.flavours),
            base=arguments.base,
            confidence=arguments.confidence,
            recasts=families_asked(arguments.recast or (), formula, "recast"),
        )
    except ValidationError as error:
        words, field = words_of(error)
        raise CoreError(words, field=field) from None
    return goals_of(body, shipped_pantry(), _prices(arguments.price or ()))


def _named(words: str, field: str) -> tuple[str, float]:
    """Return a name and its number from words such as "honey=60"."""
    name, _, number = words.partition("=")
    try:
        return name.strip(), float(number)
    except ValueError:
        raise CoreError(f"{words!r} is not NAME=NUMBER", field=field) from None


def _amounts(given: Iterable[str], formula: Formula) -> tuple[tuple[str, str, float], ...]:
    """Return amounts of what comes in, for the heaviest component, from words such as "honey=60"."""
    from sun_crumb.services import kitchen

    main = formula.heaviest()
    pairs = [_named(words, "amount") for words in given]
    return tuple((main, kitchen.pantry_keys([name], field="amount")[0], grams) for name, grams in pairs)


def _prices(given: Iterable[str]) -> dict[str, float]:
    """Return prices per kg by pantry key from words such as "honey=12.50"."""
    from sun_crumb.services import kitchen

    found: dict[str, float] = {}
    for words in given:
        name, _, price = words.partition("=")
        key = kitchen.pantry_keys([name.strip()], field="price")[0]
        try:
            found[key] = float(price)
        except ValueError:
            raise CoreError(f"{price!r} is no price of a kilogram", field="price") from None
    return found


def _locks(wishes: Iterable[str], formula: Formula) -> dict[int, float]:
    """Return grams by line position from wishes such as "egg=100" or, for as it is, "egg"."""
    from sun_crumb.services import kitchen

    found: dict[int, float] = {}
    for wish in wishes:
        name, _, amount = wish.partition("=")
        key = kitchen.pantry_keys([name.strip()], field="lock")[0]
        positions = [n for n, line in enumerate(formula.lines) if line.ingredient.key == key]
        if not positions:
            raise CoreError(f"the recipe has no {name.strip()} to lock", field="lock")
        try:
            grams = float(amount) if amount else formula.lines[positions[0]].grams
        except ValueError:
            raise CoreError(f"{amount!r} is no number of grams", field="lock") from None
        found[positions[0]] = grams
    return found


def families_asked(given: Iterable[str], formula: Formula, field: str = "family") -> dict[str, str]:
    """Return families or patterns by component from words such as "icing=glaze"; without a component they are the main one's."""
    found: dict[str, str] = {}
    for words in given:
        component, _, key = words.rpartition("=")
        component = component.strip() if "=" in words else formula.heaviest()
        if component not in formula.components:
            component = {"base": "", "the base": ""}.get(component.lower(), component)
        if component not in formula.components:
            names = ", ".join(name or "base" for name in formula.components)
            raise CoreError(f"the recipe has no component {component!r}; it has: {names}", field=field)
        found[component] = key.strip()
    return found
