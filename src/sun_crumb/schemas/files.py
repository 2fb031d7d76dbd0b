"""Sun Crumb's own files: a recipe with all its versions, and the backup of a whole household."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Any, Literal

from pydantic import AfterValidator, Base64Bytes, Field

from sun_crumb.schemas.days import Minute
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


def is_jpeg(data: bytes) -> bytes:
    """Return *data* if it begins and ends as a JPEG does."""
    if data[:3] != b"\xff\xd8\xff" or data[-2:] != b"\xff\xd9":
        raise ValueError("is no JPEG")
    return data


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
    parent: Id | None = None
    changed: str = ""
    is_pattern: bool = False
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
    refined_sugar_g: float | None = None
    added_sugars_us_g: float | None = None
    free_sugars_uk_g: float | None = None
    saved_refined_sugar_g: float | None = None
    saved_added_sugars_us_g: float | None = None
    saved_free_sugars_uk_g: float | None = None
    original_g: float | None = None


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
    tin: str = ""
    oven_c: float | None = None
    minutes: float | None = None
    swapped: str = ""
    feel: str = ""
    notes: str = ""
    leftovers: float | None = None
    cost: float | None = None
    created_at: datetime
    deleted_at: datetime | None = None
    portions: list[PortionRow]


class ServingRow(In):
    id: Id
    portion_id: Id
    eaten_on: date
    count: Annotated[float, Field(gt=0, le=100)]
    who: Who
    eaten_at: Minute | None = None
    created_at: datetime
    deleted_at: datetime | None


class DeedRow(In):
    key: str
    what: str
    content: str | None
    made: list[Id]
    created_at: datetime


class SlipRow(In):
    id: Id
    eaten_on: date
    eaten_at: Minute | None
    who: Who
    name: str
    ingredient: str
    grams: Annotated[float, Field(gt=0)]
    energy_kcal: float
    total_sugars_g: float
    refined_sugar_g: float
    added_sugars_us_g: float
    free_sugars_who_g: float
    free_sugars_uk_g: float
    created_at: datetime
    deleted_at: datetime | None


class PersonRow(In):
    id: Id
    name: str
    age: str
    authority: str
    energy_kcal: float | None
    own_limit_g: float | None
    diets: list[str]
    eaters: list[str]
    is_at_table: bool
    created_at: datetime
    deleted_at: datetime | None


class TastingRow(In):
    id: Id
    bake_id: Id
    tasted_on: date
    who: Who
    state: str
    is_blind: bool
    scores: dict[str, int]
    words: str
    created_at: datetime
    deleted_at: datetime | None


class PhotoRow(In):
    id: Id
    bake_id: Id
    jpeg: Annotated[Base64Bytes, AfterValidator(is_jpeg)]
    width: int
    height: int
    created_at: datetime
    deleted_at: datetime | None


class TrialRow(In):
    id: Id
    bake_id: Id
    other_id: Id
    test: str
    tries: int
    right: int
    tried_on: date
    created_at: datetime


class LearnedRow(In):
    key: str
    mean: float
    sd: float
    answers: int


class TaperRow(In):
    id: Id
    recipe_id: Id
    target: float
    path: str
    created_at: datetime
    ended_at: datetime | None


class ChallengeRow(In):
    id: Id
    name: str
    who: Who
    since: date
    until: date
    created_at: datetime
    deleted_at: datetime | None


class Household(In):
    """All that is kept, row by row; a version's lines and a recipe's versions within it. Files of version 1 end before the slips."""

    settings: dict[str, Any]
    products: list[ProductRow]
    recipes: list[RecipeRow]
    bakes: list[BakeRow]
    servings: list[ServingRow]
    deeds: list[DeedRow]
    slips: list[SlipRow] = []
    people: list[PersonRow] = []
    tastings: list[TastingRow] = []
    photos: list[PhotoRow] = []
    trials: list[TrialRow] = []
    learned: list[LearnedRow] = []
    tapers: list[TaperRow] = []
    challenges: list[ChallengeRow] = []


class Damaged(In):
    """What was damaged already when the backup was made, and is kept as it was: recipes, products, preferences."""

    recipes: list[Id]
    products: list[Id]
    settings: list[str]


class Backup(In):
    """A backup file; ``sha256`` is the digest of the household as canonical JSON (docs/backup.md)."""

    format: Literal["sun-crumb-backup"]
    version: Literal[1, 2]
    made_at: datetime
    sha256: str
    damaged: Damaged
    household: Household
