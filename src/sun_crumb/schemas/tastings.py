"""What was done at a bake, tastings, tests, tapers."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import AfterValidator, Field

from sun_crumb.schemas.days import Day
from sun_crumb.schemas.fields import UNSET, ClientKey, Id, In, Key, Who, whole_characters

Note = Annotated[str, Field(max_length=4000), AfterValidator(whole_characters)]
Short = Annotated[str, Field(max_length=120), AfterValidator(whole_characters)]
Feel = Literal["", "holds", "drops", "pours"]


class BakeChangesIn(In):
    """What was really done at a bake; what is left out stays. ``pieces`` is into how many it was cut, ``anew`` whether what was eaten is counted anew by it."""

    tin: Short = UNSET
    oven_c: Annotated[float, Field(ge=0, le=400)] | None = None
    minutes: Annotated[float, Field(ge=0, le=6000)] | None = None
    swapped: Note = UNSET
    feel: Feel = UNSET
    notes: Note = UNSET
    leftovers: Annotated[float, Field(ge=0, le=1000)] | None = None
    cost: Annotated[float, Field(ge=0, le=100_000)] | None = None
    pieces: Annotated[int, Field(ge=1, le=1000)] | None = None
    anew: bool = False


class PhotoIn(In):
    """A picture, as base64."""

    content: Annotated[str, Field(max_length=16_000_100)]
    client_key: ClientKey = None


class TastingIn(In):
    """A taster's sheet: a score for each aspect that they answered."""

    bake_id: Id
    tasted_on: Day
    scores: Annotated[dict[Key, Annotated[int, Field(ge=-2, le=3)]], Field(max_length=20)]
    who: Who = ""
    state: Literal["warm", "cool", "next_day"] = "cool"
    is_blind: bool = False
    words: Note = ""
    client_key: ClientKey = None


class AcceptIn(In):
    """The cause whose trial is kept as a new version."""

    cause: Key
    client_key: ClientKey = None


class TestIn(In):
    """Two bakes told apart, or not."""

    bake_id: Id
    other_id: Id
    test: Literal["triangle", "pair", "preference"]
    tries: Annotated[int, Field(ge=1, le=10_000)]
    right: Annotated[int, Field(ge=0, le=10_000)]
    tried_on: Day
    client_key: ClientKey = None


class TaperIn(In):
    """A taper: the cut that is aimed at, and its path."""

    target: Annotated[float, Field(gt=0, le=1)]
    path: Key = "less"


class TaperStepIn(In):
    """The taper's next step."""

    client_key: ClientKey = None
