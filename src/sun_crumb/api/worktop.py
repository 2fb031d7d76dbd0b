"""Bake day, its clock, timers, and what is made before."""

from __future__ import annotations

from typing import Any

from flask import Blueprint, Response, request

from sun_crumb.api.contract import endpoint, in_query
from sun_crumb.api.current import database
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.recipes import RecipeOut
from sun_crumb.api.schemas.worktop import BakeDayOut, ScheduleOut, SumsOut, TimerOut, TimersOut, WeighedInOut, WorkedOut
from sun_crumb.schemas.worktop import ChoiceIn, GivenIn, GoesInIn, ServeIn, StepWordsIn, TimerIn, UseIn, WeighIn
from sun_crumb.services import put_in, schedules, timers, weigh_in, workshop, worktop
from sun_crumb.services.kept import KeptRecipe
from sun_crumb.services.pantry import pantry_of

blueprint = Blueprint("worktop", __name__)


@endpoint(blueprint, "GET", "/recipes/<int:recipe_id>/versions/<int:version_id>/bake-day", returns=BakeDayOut)
def bake_day(recipe_id: int, version_id: int) -> worktop.BakeDay:
    """Get a version's bake day: its method at its amounts, what to have ready, cautions."""
    return weigh_in.followed_day(database(), recipe_id, version_id)


@endpoint(
    blueprint, "POST", "/recipes/<int:recipe_id>/versions/<int:version_id>/words", body=StepWordsIn, returns=BakeDayOut
)
def say_step(recipe_id: int, version_id: int, body: StepWordsIn) -> worktop.BakeDay:
    """Keep the baker's own words for a step of a version's method."""
    worktop.say_step(database(), recipe_id, version_id, body.key, body.text)
    return weigh_in.followed_day(database(), recipe_id, version_id)


@endpoint(
    blueprint, "POST", "/recipes/<int:recipe_id>/versions/<int:version_id>/goes-in", body=GoesInIn, returns=BakeDayOut
)
def goes_in(recipe_id: int, version_id: int, body: GoesInIn) -> worktop.BakeDay:
    """Let a line of the original go in at another step of its method."""
    worktop.link_line(database(), recipe_id, version_id, body.position, body.step)
    return weigh_in.followed_day(database(), recipe_id, version_id)


@endpoint(
    blueprint, "POST", "/recipes/<int:recipe_id>/versions/<int:version_id>/schedule", body=ServeIn, returns=ScheduleOut
)
def plan_day(recipe_id: int, version_id: int, body: ServeIn) -> dict[str, Any]:
    """Tell when to begin, as late as it can be, for a time of serving."""
    asked, found = worktop.plan_day(database(), recipe_id, version_id, body)
    return schedules.told(asked, found)


@blueprint.get("/recipes/<int:recipe_id>/versions/<int:version_id>/schedule.ics")
def calendar(recipe_id: int, version_id: int) -> Response:
    """Get a schedule as a calendar file."""
    given = request.args.to_dict()
    pairs = [pair.split("/") for pair in given.get("beside", "").split(",") if "/" in pair]
    body = in_query(
        ServeIn,
        {
            "serve": given.get("serve", ""),
            "sleep": given.get("sleep", ""),
            "from_now": False,
            "beside": [{"recipe_id": recipe, "version_id": version} for recipe, version, *_ in pairs],
            "pins": dict(pin.split("@", 1) for pin in given.get("pins", "").split(",") if "@" in pin),
        },
    )
    asked, found = worktop.plan_day(database(), recipe_id, version_id, body)
    return Response(
        schedules.calendar(asked, found, database().clock),
        mimetype="text/calendar",
        headers={"Content-Disposition": 'attachment; filename="bake-day.ics"'},
    )


_AT = "/recipes/<int:recipe_id>/versions/<int:version_id>/weigh-in"


@endpoint(blueprint, "GET", _AT, returns=WeighedInOut)
def bowl(recipe_id: int, version_id: int) -> weigh_in.WeighedIn:
    """Get what is in the bowl of a version's bake, and what is still to come."""
    return weigh_in.weigh_in(database(), recipe_id, version_id)


@endpoint(blueprint, "POST", _AT, body=WeighIn, returns=WeighedInOut)
def weigh(recipe_id: int, version_id: int, body: WeighIn) -> weigh_in.WeighedIn:
    """Note what a food of a step weighs."""
    return weigh_in.weigh(database(), recipe_id, version_id, body)


@endpoint(blueprint, "POST", f"{_AT}/choice", body=ChoiceIn, returns=WeighedInOut)
def choose(recipe_id: int, version_id: int, body: ChoiceIn) -> weigh_in.WeighedIn:
    """Go on from a weighing that is off."""
    return weigh_in.choose(database(), recipe_id, version_id, body)


@endpoint(blueprint, "DELETE", _AT, returns=WeighedInOut)
def begin_again(recipe_id: int, version_id: int) -> weigh_in.WeighedIn:
    """Put what was weighed aside, and begin with an empty bowl."""
    return weigh_in.begin_again(database(), recipe_id, version_id)


@endpoint(blueprint, "GET", "/timers", returns=TimersOut)
def running_timers() -> dict[str, Any]:
    """List the timers that run or ring."""
    return {"timers": timers.running(database())}


@endpoint(blueprint, "POST", "/timers", body=TimerIn, returns=TimerOut)
def start_timer(body: TimerIn) -> timers.Running:
    """Start a timer."""
    return timers.start(database(), body)


@endpoint(blueprint, "DELETE", "/timers/<int:timer_id>", returns=DoneOut)
def stop_timer(timer_id: int) -> dict[str, Any]:
    """Stop a timer."""
    timers.stop(database(), timer_id)
    return {"done": True}


@endpoint(blueprint, "POST", "/timers/<int:timer_id>/go-on", returns=TimerOut)
def go_on(timer_id: int) -> timers.Running:
    """Let a timer that was stopped go on."""
    return timers.go_on(database(), timer_id)


@endpoint(blueprint, "GET", "/workshop", returns=SumsOut)
def list_sums() -> dict[str, Any]:
    """List the workshop's sums and what each asks for."""
    return {"sums": workshop.sums()}


@endpoint(blueprint, "POST", "/workshop/<key>", body=GivenIn, returns=WorkedOut)
def work(key: str, body: GivenIn) -> put_in.WorkedOut:
    """Tell what a sum comes to, and what of it a recipe may take in."""
    return put_in.worked(key, body.given, pantry_of(database()))


@endpoint(blueprint, "POST", "/workshop/<key>/use", body=UseIn, returns=RecipeOut)
def use_in_a_recipe(key: str, body: UseIn) -> KeptRecipe:
    """Keep a version of a recipe with what a sum made."""
    return put_in.put_in(database(), key, body.given, put_in.Use(**body.model_dump(exclude={"given"})))
