"""Bakes, portions eaten, the ledger."""

from __future__ import annotations

from datetime import date
from typing import Annotated

from pydantic import Field

from sun_crumb.api.schemas.base import ClientKey, In, Out, numbers
from sun_crumb.services.ledger import SUMS


class BakeIn(In):
    """A version that was baked."""

    version_id: int
    baked_on: date
    client_key: ClientKey = None


class ServingIn(In):
    """Portions eaten."""

    bake_id: int
    eaten_on: date
    count: Annotated[float, Field(allow_inf_nan=False)]
    who: Annotated[str, Field(max_length=60)] = ""
    client_key: ClientKey = None


_SumsOut = numbers("SumsOut", SUMS)


class BakeOut(_SumsOut):  # type: ignore[valid-type, misc]
    id: int
    recipe_id: int
    version_id: int
    title: str
    label: str
    unit: str
    baked_on: date
    servings: int
    eaten: float
    portion_g: float


class ServingOut(_SumsOut):  # type: ignore[valid-type, misc]
    id: int
    bake_id: int
    title: str
    label: str
    unit: str
    eaten_on: date
    count: float
    who: str


class BakesOut(Out):
    bakes: list[BakeOut]


class LedgerTotalOut(_SumsOut):  # type: ignore[valid-type, misc]
    servings: float


class DayOut(LedgerTotalOut):
    day: date


class LedgerOut(Out):
    since: date
    until: date
    days: list[DayOut]
    total: LedgerTotalOut
    servings: list[ServingOut]
    bakes: list[BakeOut]
