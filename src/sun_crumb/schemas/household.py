"""People, slips, challenges."""

from __future__ import annotations

from typing import Annotated

from pydantic import AfterValidator, Field

from sun_crumb.schemas.days import Day, Diets, Minute
from sun_crumb.schemas.fields import UNSET, ClientKey, In, Key, Who, whole_characters

Energy = Annotated[float, Field(ge=500, le=6000)] | None
OwnLimit = Annotated[float, Field(ge=0, le=500)] | None
Eaters = Annotated[list[Key], Field(max_length=20)]
Name = Annotated[str, Field(min_length=1, max_length=60), AfterValidator(whole_characters)]


class PersonIn(In):
    """A person of the household."""

    name: Name
    age: Key = "adult"
    authority: Key = "who_5"
    energy_kcal: Energy = None
    own_limit_g: OwnLimit = None
    diets: Diets = []
    eaters: Eaters = []
    is_at_table: bool = True
    client_key: ClientKey = None


class PersonChangesIn(In):
    """Fields of a person to change; what is left out stays."""

    name: Name = UNSET
    age: Key = UNSET
    authority: Key = UNSET
    energy_kcal: Energy = None
    own_limit_g: OwnLimit = None
    diets: Diets = UNSET
    eaters: Eaters = UNSET
    is_at_table: bool = UNSET


class SlipIn(In):
    """Something else that was eaten: a food of the pantry by its key, or what its pack says of it."""

    name: Annotated[str, Field(max_length=120), AfterValidator(whole_characters)] = ""
    eaten_on: Day
    grams: Annotated[float, Field(gt=0, le=20_000)]
    ingredient: Annotated[str, Field(max_length=64), AfterValidator(whole_characters)] = ""
    sugars_g: Annotated[float, Field(ge=0, le=20_000)] | None = None
    energy_kcal: Annotated[float, Field(ge=0, le=100_000)] | None = None
    kind: Key = "refined"
    who: Who = ""
    eaten_at: Minute | None = None
    client_key: ClientKey = None


class ChallengeIn(In):
    """An aim for some days."""

    name: Name
    since: Day
    until: Day
    who: Who = ""


class DiaryRowIn(In):
    """A row of a diary file that comes in: what was eaten, with its own figures."""

    day: Day
    at: Minute | None = None
    who: Who = ""
    what: Annotated[str, Field(min_length=1, max_length=200), AfterValidator(whole_characters)]
    grams: Annotated[float, Field(gt=0, le=20_000)]
    energy_kcal: Annotated[float, Field(ge=0, le=100_000)] = 0.0
    total_sugars_g: Annotated[float, Field(ge=0, le=20_000)] = 0.0
    refined_sugar_g: Annotated[float, Field(ge=0, le=20_000)] = 0.0
    added_sugars_us_g: Annotated[float, Field(ge=0, le=20_000)] = 0.0
    free_sugars_who_g: Annotated[float, Field(ge=0, le=20_000)] = 0.0
    free_sugars_uk_g: Annotated[float, Field(ge=0, le=20_000)] = 0.0


class DiaryFileIn(In):
    """A diary as a file: CSV or JSON, as it was exported."""

    content: Annotated[str, Field(max_length=900_000)]
