"""The household's preferences."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from pydantic import ValidationError
from sqlalchemy import select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula
from sun_crumb.schemas.days import OwnOven, Settings, SettingsIn
from sun_crumb.schemas.words import words_of
from sun_crumb.store import Database
from sun_crumb.store.tables import Setting


def get_settings(database: Database) -> Settings:
    """Return every preference, the usual one where none was chosen or what is kept can't be one."""
    with database.reading() as session:
        return settings_in(session)


def change_settings(database: Database, changes: SettingsIn) -> Settings:
    """Change some preferences and return all of them.

    Prices are changed one by one, so that two people who type at the same time lose none; what comes out is checked whole.
    """
    with database.transaction() as session:
        before = settings_in(session)
        given = changes.model_dump(exclude_unset=True)
        if "prices" in given:
            merged: dict[str, float | None] = before.prices | given["prices"]
            given["prices"] = {key: price for key, price in merged.items() if price is not None}
        given = _of_the_oven_in_use(before, given)
        try:
            after = Settings.model_validate(before.model_dump() | given)
        except ValidationError as error:
            words, field = words_of(error)
            raise CoreError(words, field=field) from None
        for key in given:
            session.merge(Setting(key=key, value=after.model_dump(mode="json")[key]))
        return after


# What is said of the oven in use, and what that is called of one among several.
_OF_AN_OVEN = {"oven_fan": "fan", "oven_offset_c": "offset_c", "oven_hot_side": "hot_side"}


def _of_the_oven_in_use(before: Settings, given: dict[str, Any]) -> dict[str, Any]:
    """Return changes with the oven in use and the list of ovens in step: another oven brings what it is like, and what is said is of it."""
    ovens = [one.model_dump() if isinstance(one, OwnOven) else dict(one) for one in given.get("ovens", before.ovens)]
    name = given.get("oven", before.oven)
    used = next((one for one in ovens if one["name"] == name), None)
    if used is None:
        return given | ({"oven": ""} if before.oven or "oven" in given else {})
    if name != before.oven or "ovens" in given:
        return given | {key: used.get(own) for key, own in _OF_AN_OVEN.items() if own in used}
    used |= {own: given[key] for key, own in _OF_AN_OVEN.items() if key in given}
    return given | {"ovens": ovens}


def as_told(session: Session, formula: Formula, cup: str) -> tuple[Formula, str]:
    """Return a formula whose amounts are told as this household measures, and by which cup: the recipe's own where it says nothing."""
    own = settings_in(session)
    by_weight = _BY_WEIGHT[own.units]
    return replace(formula, by_weight=by_weight, is_all_weighed=by_weight is True), own.cup or cup


_BY_WEIGHT = {"recipe": None, "grams": True, "spoons": False}


def prices_in(database: Database) -> dict[str, float]:
    """Return the household's prices per kg by ingredient."""
    with database.reading() as session:
        return settings_in(session).prices


def settings_in(session: Session) -> Settings:
    """Return every preference, within a transaction."""
    rows = {row.key: row.value for row in session.scalars(select(Setting))}
    return sound_settings(rows)[0]


def sound_settings(rows: dict[str, Any]) -> tuple[Settings, list[str]]:
    """Return preferences as kept, and the names of those that can't be one: these are left at the usual."""
    sound, damaged = {}, []
    for key, value in rows.items():
        try:
            Settings.model_validate({key: value})
        except ValidationError:
            damaged.append(key)
        else:
            sound[key] = value
    return Settings.model_validate(sound), damaged
