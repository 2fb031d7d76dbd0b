"""Sun Crumb's own files: a recipe with all its versions, and the backup of a whole household."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Any, Literal

from pydantic import Field

from sun_crumb.schemas.fields import (
    Id,
    In,
    Key,
    Label,
    Servings,
    SourceText,
    Title,
    Unit,
    Who,
)
from sun_crumb.schemas.products import PackIn
from sun_crumb.schemas.recipes import GoalsIn, LineIn, MethodIn, OwnWords, OwnYields, Portions

OwnKey = Annotated[str, Field(pattern=r"^own_[0-9]{1,18}$")]
Status = Literal["", "balanced", "strained", "unmet"]
Reason = Annotated[str, Field(max_length=4000)]


class OwnLine(LineIn):
    """A line of a version, with the reason for its amount."""

    reason: Reason = ""


class OwnVersion(In):
    """One set of amounts, and the wish that it answers."""

    label: Label
    status: Status = ""
    servings: Servings
    unit: Unit
    goals: GoalsIn | None = None
    portions: Portions = []
    own_yields: OwnYields = {}
    own_words: OwnWords = {}
    lines: Annotated[list[OwnLine], Field(min_length=1, max_length=400)]


class OwnProduct(In):
    """A product of the household's that the recipe holds or wishes for, by its key there."""

    key: OwnKey
    label: PackIn
    like: Key


class OwnRecipe(In):
    """A recipe file."""

    format: Literal["sun-crumb-recipe"]
    version: Literal[1]
    title: Title
    cup: Key = "us"
    source_text: SourceText = ""
    method: MethodIn | None = None
    products: Annotated[list[OwnProduct], Field(max_length=400)] = []
    versions: Annotated[list[OwnVersion], Field(min_length=1, max_length=400)]


class LineRow(In):
    """A line as it is stored, of a damaged recipe too: what it must be is checked with the recipe."""

    component: str
    ingredient: str
    grams: Annotated[float, Field(ge=0, allow_inf_nan=True)]
    text: str
    is_crushed: bool
    reason: str


class VersionRow(In):
    id: Id
    number: Id
    label: str
    servings: int
    unit: str
    status: str
    goals: Any
    portions: Any
    own_yields: Any
    own_words: Any = None
    created_at: datetime
    lines: list[LineRow]


class RecipeRow(In):
    id: Id
    title: str
    source_text: str
    method: Any = None
    cup: str
    revision: Id
    created_at: datetime
    deleted_at: datetime | None
    versions: list[VersionRow]


class ProductRow(In):
    id: Id
    label: Any
    like: str
    created_at: datetime
    deleted_at: datetime | None


class PortionRow(In):
    id: Id
    kind: str
    servings: Servings
    portion_g: float
    energy_kcal: float
    total_sugars_g: float
    free_sugars_who_g: float
    saved_energy_kcal: float
    saved_total_sugars_g: float
    saved_free_sugars_who_g: float


class BakeRow(In):
    id: Id
    version_id: Id
    baked_on: date
    weights: (
        Annotated[
            dict[Annotated[str, Field(pattern=r"^[0-9]{1,3}$")], Annotated[float, Field(ge=0, le=1e6)]],
            Field(max_length=400),
        ]
        | None
    ) = None
    created_at: datetime
    portions: list[PortionRow]


class ServingRow(In):
    id: Id
    portion_id: Id
    eaten_on: date
    count: Annotated[float, Field(gt=0, le=100)]
    who: Who
    created_at: datetime
    deleted_at: datetime | None


class DeedRow(In):
    key: str
    what: str
    content: str | None
    made: list[Id]
    created_at: datetime


class Household(In):
    """All that is kept, row by row; a version's lines and a recipe's versions within it."""

    settings: dict[str, Any]
    products: list[ProductRow]
    recipes: list[RecipeRow]
    bakes: list[BakeRow]
    servings: list[ServingRow]
    deeds: list[DeedRow]


class Damaged(In):
    """What was damaged already when the backup was made, and is kept as it was: recipes, products, preferences."""

    recipes: list[Id]
    products: list[Id]
    settings: list[str]


class Backup(In):
    """A backup file; ``sha256`` is the digest of the household as canonical JSON (docs/backup.md)."""

    format: Literal["sun-crumb-backup"]
    version: Literal[1]
    made_at: datetime
    sha256: str
    damaged: Damaged
    household: Household
