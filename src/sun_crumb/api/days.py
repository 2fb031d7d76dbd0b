"""Bakes, portions eaten, the ledger, preferences."""

from __future__ import annotations

from datetime import date, timedelta
from typing import Any

from flask import Blueprint, current_app

from sun_crumb.api.contract import endpoint
from sun_crumb.api.current import database
from sun_crumb.api.errors import InvalidRequestError
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.choices import HealthOut, SettingsOut
from sun_crumb.api.schemas.days import BakesOut, LedgerOut, ServingOut
from sun_crumb.schemas.days import FIRST_DAY, LAST_DAY, BakeIn, ServingIn, Settings, SettingsIn
from sun_crumb.services import bakes, ledger, preferences

blueprint = Blueprint("days", __name__)
LONGEST_DAYS = 3660


def day_in(text: str, field: str, default: date) -> date:
    """Return a day out of the query; raise InvalidRequestError, naming the field, where it is none."""
    if not text:
        return default
    try:
        found = date.fromisoformat(text)
    except ValueError:
        raise InvalidRequestError(f"{field}: {text[:20]!r} is no day; write it as 2026-03-09", field=field) from None
    if not FIRST_DAY <= found <= LAST_DAY:
        raise InvalidRequestError(f"{field}: {text[:20]} lies outside {FIRST_DAY} to {LAST_DAY}", field=field)
    return found


@endpoint(blueprint, "POST", "/bakes", body=BakeIn, returns=BakesOut)
def bake(body: BakeIn) -> dict[str, Any]:
    """Note that a version was baked; gives one entry for each kind of portion."""
    return {"bakes": bakes.bake(database(), body.version_id, body.baked_on, body.client_key)}


@endpoint(blueprint, "POST", "/servings", body=ServingIn, returns=ServingOut)
def eat(body: ServingIn) -> ledger.Eaten:
    """Note portions eaten."""
    return ledger.eat(database(), body.bake_id, body.eaten_on, body.count, body.who, body.client_key, body.eaten_at)


@endpoint(blueprint, "DELETE", "/servings/<int:serving_id>", returns=DoneOut)
def remove_serving(serving_id: int) -> dict[str, Any]:
    """Take back portions noted by mistake."""
    ledger.remove_serving(database(), serving_id)
    return {"done": True}


@endpoint(blueprint, "POST", "/servings/<int:serving_id>/restore", returns=ServingOut)
def restore_serving(serving_id: int) -> ledger.Eaten:
    """Bring back portions that were taken back."""
    return ledger.restore_serving(database(), serving_id)


@endpoint(blueprint, "GET", "/ledger", returns=LedgerOut, query={"since": "first day", "until": "last day"})
def read_ledger(since: str, until: str) -> ledger.Days:
    """Read the days: what was eaten and what it saved. By default the last four weeks."""
    last = day_in(until, "until", database().clock.today())
    first = day_in(since, "since", last - timedelta(days=27))
    if (last - first).days > LONGEST_DAYS:
        raise InvalidRequestError(f"at most {LONGEST_DAYS} days at once", field="since")
    return ledger.ledger(database(), first, last)


@endpoint(blueprint, "GET", "/settings", returns=SettingsOut)
def get_settings() -> Settings:
    """Get the household's preferences."""
    return preferences.get_settings(database())


@endpoint(blueprint, "PATCH", "/settings", body=SettingsIn, returns=SettingsOut)
def change_settings(body: SettingsIn) -> Settings:
    """Change some preferences."""
    return preferences.change_settings(database(), body)


@endpoint(blueprint, "GET", "/health", returns=HealthOut)
def health() -> dict[str, Any]:
    """Say whether the server answers."""
    return {"status": "ok", "is_demo": current_app.config["IS_DEMO"]}
