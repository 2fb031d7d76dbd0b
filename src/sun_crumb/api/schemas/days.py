"""Bakes, portions eaten, the ledger."""

from __future__ import annotations

from datetime import date

from sun_crumb.api.schemas.base import Out, To1, numbers
from sun_crumb.services.bakes import SUMS

_SumsOut = numbers("SumsOut", SUMS)


class BakeOut(_SumsOut):  # type: ignore[valid-type, misc]
    """One kind of portion of a bake; those of one bake have the same ``event_id``."""

    id: int
    event_id: int
    recipe_id: int
    version_id: int
    title: str
    label: str
    unit: str
    baked_on: date
    servings: int
    eaten: float
    portion_g: To1
    original_g: To1


class ServingOut(_SumsOut):  # type: ignore[valid-type, misc]
    id: int
    bake_id: int
    title: str
    label: str
    unit: str
    eaten_on: date
    count: float
    who: str
    eaten_at: int | None


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
