"""Bakes, portions eaten, preferences."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Literal

from pydantic import AfterValidator, Field

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.schedule import MOST_OVENS
from sun_crumb.core.kitchen.tins import read_size, scoops
from sun_crumb.schemas.fields import UNSET, ClientKey, Id, In, Key, Label, Title, Who, whole_characters


def a_tin(text: str) -> str:
    """Return the words for a tin if a tin is meant by them; raise OutOfDomainError where none is."""
    read_size(text)
    return text.strip()


def a_scoop(size: int) -> int:
    """Return the number of a scoop; raise OutOfDomainError where none has it."""
    scoops(1.0, size)
    return size


FIRST_DAY, LAST_DAY = date(1900, 1, 1), date(2999, 12, 31)
Day = Annotated[date, Field(ge=FIRST_DAY, le=LAST_DAY)]


# Minutes after midnight.
Minute = Annotated[int, Field(ge=0, lt=24 * 60)]


class BakeIn(In):
    """A version that was baked."""

    version_id: Id
    baked_on: Day
    client_key: ClientKey = None


class ServingIn(In):
    """Portions eaten."""

    bake_id: Id
    eaten_on: Day
    count: float
    who: Who = ""
    eaten_at: Minute | None = None
    client_key: ClientKey = None


Price = Annotated[float, Field(ge=0, le=10_000)]
Limit = Annotated[float, Field(ge=1, le=500)]
Sleep = Annotated[str, Field(pattern=r"^(?:([01]\d|2[0-3]):[0-5]\d-([01]\d|2[0-3]):[0-5]\d)?$")]
DecimalSign = Literal[".", ","]
# How much hotter an oven is than its dial says [°C].
OvenOffset = Annotated[float, Field(ge=-40, le=40)]
HotSide = Literal["", "left", "right", "back", "front"]
Currency = Annotated[str, Field(max_length=6), AfterValidator(whole_characters)]
# The tins that a household owns, as the workshop reads them: "20 cm round".
Tins = Annotated[list[Annotated[str, Field(max_length=40), AfterValidator(a_tin)]], Field(max_length=30)]
Diets = Annotated[list[Key], Field(max_length=20)]
# How amounts are told: as the recipe does, always by weight, or always by cups and spoons; and of which cup (the recipe's where it is empty).
Units = Literal["recipe", "grams", "spoons"]
OwnCup = Literal["", "us", "metric", "australian", "legal"]
Paper = Literal["a4", "letter"]
Temperature = Literal["c", "f"]
# The size numbers of a household's scoops: so many of them fill a US quart.
Scoops = Annotated[list[Annotated[int, AfterValidator(a_scoop)]], Field(max_length=12)]


class OwnOven(In):
    """One of several ovens: what it is called, and what it is like."""

    name: Annotated[str, Field(min_length=1, max_length=40), AfterValidator(whole_characters)]
    fan: bool = False
    offset_c: OvenOffset = 0.0
    hot_side: HotSide = ""


def of_different_names(ovens: list[OwnOven]) -> list[OwnOven]:
    """Return ovens that can be told apart; raise OutOfDomainError where two have one name."""
    if len({one.name for one in ovens}) < len(ovens):
        raise OutOfDomainError("two ovens have one name", field="ovens")
    return ovens


Ovens = Annotated[list[OwnOven], Field(max_length=MOST_OVENS), AfterValidator(of_different_names)]
Cupboard = Annotated[list[Key], Field(max_length=100)] | None


# A moment of the wall clock, to the minute.
Moment = Annotated[str, Field(pattern=r"^\d{4}-\d\d-\d\dT\d\d:\d\d(?::\d\d)?$")]


class PlannedIn(In):
    """A bake that is planned: which version, when it is on the table and when to begin, by the wall clock."""

    recipe: Id
    version: Id
    title: Title
    label: Label = ""
    serve: Moment
    start: Moment


PlannedBakes = Annotated[list[PlannedIn], Field(max_length=12)]


class Settings(In):
    """All preferences of a household, the usual ones where none was chosen."""

    daily_limit_g: Limit = 25.0
    diets: Diets = []
    cupboard: Cupboard = None
    prices: Annotated[dict[Key, Price], Field(max_length=400)] = {}
    decimal_sign: DecimalSign = "."
    sleep: Sleep = "22:30-06:30"
    oven_fan: bool = False
    oven_offset_c: OvenOffset = 0.0
    oven_hot_side: HotSide = ""
    ovens: Ovens = []
    # Which of several ovens is baked in: what is said of the oven above is of this one.
    oven: Label = ""
    units: Units = "recipe"
    cup: OwnCup = ""
    temperature: Temperature = "c"
    # What the bake card is printed on.
    paper: Paper = "a4"
    currency: Currency = ""
    tins: Tins = []
    scoops: Scoops = []
    planned: PlannedBakes = []
    # Tastings before this teach nothing any more; null where all do.
    learned_since: datetime | None = None


class SettingsIn(In):
    """Preferences to change; those left out stay. Prices are changed one by one: null takes one away."""

    daily_limit_g: Limit = UNSET
    diets: Diets = UNSET
    cupboard: Cupboard = None
    prices: Annotated[dict[Key, Price | None], Field(max_length=400)] = UNSET
    decimal_sign: DecimalSign = UNSET
    sleep: Sleep = UNSET
    oven_fan: bool = UNSET
    oven_offset_c: OvenOffset = UNSET
    oven_hot_side: HotSide = UNSET
    ovens: Ovens = UNSET
    oven: Label = UNSET
    units: Units = UNSET
    cup: OwnCup = UNSET
    temperature: Temperature = UNSET
    paper: Paper = UNSET
    currency: Currency = UNSET
    tins: Tins = UNSET
    scoops: Scoops = UNSET
    planned: PlannedBakes = UNSET
