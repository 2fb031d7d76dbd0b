"""A recipe judged by itself."""

from __future__ import annotations

from typing import Literal

from sun_crumb.api.schemas.base import Out, To2, To3


class FamilyOut(Out):
    key: str
    name: str


class MeasuredOut(Out):
    key: str
    name: str
    unit: str
    value: To3
    low: To3
    high: To3
    level: Literal["fine", "off", "far"]
    words: str


class MendOut(Out):
    component: str
    ingredient: str
    name: str
    before_g: To2
    after_g: To2
    household_before: str
    household: str
    words: str


class CheckedOut(Out):
    component: str
    family: str
    family_name: str
    confidence: To2
    is_sure: bool
    candidates: list[FamilyOut]
    base: str
    pattern: str
    measures: list[MeasuredOut]
    warnings: list[str]
    mends: list[MendOut]
    words: str
    is_in_balance: bool


class CheckOut(Out):
    components: list[CheckedOut]
