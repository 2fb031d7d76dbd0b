"""Several desserts for one table."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from sun_crumb.schemas.fields import Id, In, Key


class DessertIn(In):
    """A dessert of the afternoon: a recipe, how many portions a guest eats of it, the path that its cut is looked for on, and how sweet it is to stay."""

    recipe_id: Id
    portions: Annotated[float, Field(gt=0, le=20)] = 1.0
    path: Key = "blend"
    keep_sweet: float | None = None


class AfternoonIn(In):
    """The desserts, and the free sugar that a guest is to eat at most [g]; who is at the table."""

    most_g: Annotated[float, Field(ge=0, le=500)]
    desserts: Annotated[list[DessertIn], Field(min_length=1, max_length=8)]
    diets: Annotated[list[Key], Field(max_length=20)] = []
    avoid: Annotated[list[Key], Field(max_length=20)] = []
    eaters: Annotated[list[Key], Field(max_length=20)] = []
