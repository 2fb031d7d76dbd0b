"""Two desserts to compare."""

from __future__ import annotations

from typing import Annotated

from pydantic import Field

from sun_crumb.schemas.fields import Id, In, Key


class SideIn(In):
    """One of two desserts to compare: a recipe of the shelf, its newest version unless one is named, or a food of the pantry."""

    recipe_id: Id | None = None
    version_id: Id | None = None
    food: Key | None = None


class CompareIn(In):
    """Two desserts to compare, which sugar counts, and the portion of both [g]; the first's own where none is said."""

    first: SideIn
    second: SideIn
    definition: Key = "free_sugars_who_g"
    portion_g: Annotated[float, Field(gt=0, le=5000)] | None = None
