"""The method as it is kept with a recipe: read once from its text, edited since, never read again."""

from __future__ import annotations

from dataclasses import asdict
from typing import Any

from sun_crumb.core.errors import CoreError
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.reading import Method, method_of, read_recipe
from sun_crumb.core.reading.records import Link, Oven, Step, StepTime, Tin
from sun_crumb.core.reading.steps import read_step
from sun_crumb.schemas.recipes import MethodIn
from sun_crumb.store.tables import Recipe


def read_method(text: str, pantry: Pantry) -> Method:
    """Return the method that a recipe's text tells; empty where there is nothing to read."""
    try:
        return method_of(read_recipe(text, pantry))
    except CoreError:
        return Method()  # no text, or one kept before its length was limited


def given_method(body: MethodIn) -> Method:
    """Return a method as it was typed; a step's times are read from its words where they are not given."""
    return Method(
        steps=tuple(
            read_step(step.text, step.part)
            if step.times is None
            else Step(step.text, tuple(StepTime(**time.model_dump()) for time in step.times), step.part)
            for step in body.steps
        ),
        oven=None if body.oven is None else Oven(**body.oven.model_dump()),
        bake_minutes=(min(body.bake_minutes), max(body.bake_minutes)) if body.bake_minutes else None,
        tin=None if body.tin is None else Tin(body.tin.shape, tuple(body.tin.sizes_cm), body.tin.text),
        links=tuple(Link(one.position, one.step) for one in body.links),
    )


def stored_method(method: Method) -> dict[str, Any]:
    """Return a method as its column keeps it: the shape of a MethodIn."""
    return MethodIn.model_validate(asdict(method)).model_dump(mode="json")


def method_in(recipe: Recipe) -> Method:
    """Return the method that is kept with a recipe; empty where none is."""
    return Method() if recipe.method is None else given_method(MethodIn.model_validate(recipe.method))
