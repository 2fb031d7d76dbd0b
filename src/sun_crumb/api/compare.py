"""Any two desserts beside each other, and several for one table."""

from __future__ import annotations

from typing import Any, cast

from flask import Blueprint

from sun_crumb.api.contract import endpoint
from sun_crumb.api.current import database
from sun_crumb.api.schemas.compare import AfternoonOut, ApartOut
from sun_crumb.schemas.afternoon import AfternoonIn
from sun_crumb.schemas.compare import CompareIn
from sun_crumb.services import afternoons, comparing

blueprint = Blueprint("compare", __name__)


@endpoint(blueprint, "POST", "/compare", body=CompareIn, returns=ApartOut)
def compare(body: CompareIn) -> comparing.Apart:
    """Compare two desserts at the same portion: what each holds, and what makes the difference."""
    return comparing.apart(database(), body.first, body.second, cast(Any, body.definition), body.portion_g)


@endpoint(blueprint, "POST", "/afternoon", body=AfternoonIn, returns=AfternoonOut)
def afternoon(body: AfternoonIn) -> afternoons.AfternoonShown:
    """Tell which cut for which of several desserts loses least while a guest stays below a limit of free sugar."""
    return afternoons.plan_afternoon(database(), body)
