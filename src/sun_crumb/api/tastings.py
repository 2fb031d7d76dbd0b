"""Bakes as they were done, tastings, causes and trials, progress, what was learned, panels."""

from __future__ import annotations

from typing import Any

from flask import Blueprint, Response, current_app

from sun_crumb.api.contract import endpoint, number_in
from sun_crumb.api.current import database
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.tastings import (
    AcceptedOut,
    BakeListOut,
    BakeRecordOut,
    ChangedBakeOut,
    JudgedOut,
    LearnedOut,
    PanelsOut,
    PhotoOut,
    ProgressOut,
    SheetOut,
    TaperStepOut,
    TastingOut,
    TestOut,
    TestsOut,
    UntastedOut,
)
from sun_crumb.core.tasting.sheet import aspects
from sun_crumb.schemas.tastings import AcceptIn, BakeChangesIn, PhotoIn, TaperIn, TaperStepIn, TastingIn, TestIn
from sun_crumb.services import bakes, learning, progress, tastings, told_apart

blueprint = Blueprint("tastings", __name__)
DONE = {"done": True}


@endpoint(
    blueprint,
    "GET",
    "/bakes",
    returns=BakeListOut,
    query={"start": "from which on", "count": "how many", "recipe_id": "of one recipe"},
)
def list_bakes(start: str, count: str, recipe_id: str) -> bakes.BakeList:
    """List bakes, the last first."""
    recipe = number_in(recipe_id, "recipe_id", 0) or None
    return bakes.list_bakes(
        database(), number_in(start, "start", 0), number_in(count, "count", 20, bakes.MOST_LISTED), recipe
    )


@endpoint(blueprint, "GET", "/bakes/<int:bake_id>", returns=BakeRecordOut)
def get_bake(bake_id: int) -> bakes.BakeRecord:
    """Get a bake with what was done."""
    return bakes.get_bake(database(), bake_id)


@endpoint(blueprint, "PATCH", "/bakes/<int:bake_id>", body=BakeChangesIn, returns=ChangedBakeOut)
def change_bake(bake_id: int, body: BakeChangesIn) -> bakes.ChangedBake:
    """Note what was done at a bake; says what became of the figures of portions that were eaten."""
    changes = body.model_dump(exclude_unset=True, exclude={"pieces", "anew"})
    return bakes.change_bake(database(), bake_id, changes, body.pieces, anew=body.anew)


@endpoint(blueprint, "DELETE", "/bakes/<int:bake_id>", returns=DoneOut)
def remove_bake(bake_id: int) -> dict[str, Any]:
    """Put away a bake that was noted by mistake."""
    bakes.remove_bake(database(), bake_id)
    return DONE


@endpoint(blueprint, "POST", "/bakes/<int:bake_id>/restore", returns=BakeRecordOut)
def restore_bake(bake_id: int) -> bakes.BakeRecord:
    """Bring back a bake that was put away."""
    return bakes.restore_bake(database(), bake_id)


@endpoint(blueprint, "POST", "/bakes/<int:bake_id>/photos", body=PhotoIn, returns=PhotoOut)
def add_photo(bake_id: int, body: PhotoIn) -> dict[str, Any]:
    """Keep a picture of a bake, made small, without place or camera."""
    return {"id": bakes.add_photo(database(), bake_id, body.content, body.client_key)}


@blueprint.get("/photos/<int:photo_id>")
def photo(photo_id: int) -> Response:
    """Give a picture as JPEG."""
    return current_app.response_class(bakes.photo_of(database(), photo_id), mimetype="image/jpeg")


@endpoint(blueprint, "DELETE", "/photos/<int:photo_id>", returns=DoneOut)
def remove_photo(photo_id: int) -> dict[str, Any]:
    """Take a picture out of sight."""
    bakes.remove_photo(database(), photo_id)
    return DONE


@endpoint(blueprint, "POST", "/photos/<int:photo_id>/restore", returns=DoneOut)
def restore_photo(photo_id: int) -> dict[str, Any]:
    """Bring back a picture."""
    bakes.restore_photo(database(), photo_id)
    return DONE


@endpoint(blueprint, "GET", "/score-sheet", returns=SheetOut)
def score_sheet() -> dict[str, Any]:
    """Get the score sheet: aspects and their words."""
    return {"aspects": list(aspects().values())}


@endpoint(blueprint, "GET", "/untasted", returns=UntastedOut)
def untasted() -> dict[str, Any]:
    """List the last days' bakes that nobody has tasted."""
    return {"bakes": progress.untasted(database())}


@endpoint(blueprint, "POST", "/tastings", body=TastingIn, returns=TastingOut)
def taste(body: TastingIn) -> tastings.Tasted:
    """Keep a taster's sheet and learn from it."""
    return tastings.taste(
        database(),
        body.bake_id,
        body.tasted_on,
        body.scores,
        who=body.who,
        state=body.state,
        is_blind=body.is_blind,
        words=body.words,
        client_key=body.client_key,
    )


@endpoint(blueprint, "DELETE", "/tastings/<int:tasting_id>", returns=DoneOut)
def remove_tasting(tasting_id: int) -> dict[str, Any]:
    """Take back a sheet and what it taught."""
    tastings.remove_tasting(database(), tasting_id)
    return DONE


@endpoint(blueprint, "POST", "/tastings/<int:tasting_id>/restore", returns=TastingOut)
def restore_tasting(tasting_id: int) -> tastings.Tasted:
    """Bring back a sheet and what it taught."""
    return tastings.restore_tasting(database(), tasting_id)


@endpoint(blueprint, "GET", "/bakes/<int:bake_id>/judged", returns=JudgedOut)
def judged(bake_id: int) -> tastings.Judged:
    """Get a bake's sheets, and the causes of what is off, each with the next trial in numbers."""
    return tastings.judged(database(), bake_id)


@endpoint(blueprint, "POST", "/bakes/<int:bake_id>/trial", body=AcceptIn, returns=AcceptedOut)
def accept_trial(bake_id: int, body: AcceptIn) -> tastings.Accepted:
    """Keep the trial of a cause as a new version."""
    return tastings.accept_trial(database(), bake_id, body.cause, body.client_key)


@endpoint(blueprint, "POST", "/tests", body=TestIn, returns=TestOut)
def note_test(body: TestIn) -> told_apart.ToldApart:
    """Keep the outcome of a triangle, a pair or a preference between two bakes."""
    return told_apart.note_test(
        database(), body.bake_id, body.other_id, body.test, body.tries, body.right, body.tried_on, body.client_key
    )


@endpoint(blueprint, "GET", "/bakes/<int:bake_id>/tests", returns=TestsOut)
def tests_of(bake_id: int) -> dict[str, Any]:
    """List the tests that a bake was in."""
    return {"tests": told_apart.tests_of(database(), bake_id)}


@endpoint(blueprint, "GET", "/learned", returns=LearnedOut)
def learned() -> dict[str, Any]:
    """Get what tastings have taught, with its doubt."""
    return {"lessons": learning.learned(database())}


@endpoint(blueprint, "DELETE", "/learned", returns=DoneOut)
def forget() -> dict[str, Any]:
    """Forget what was learned up to now; the tastings stay."""
    learning.forget(database())
    return DONE


@endpoint(blueprint, "POST", "/learned/restore", returns=LearnedOut)
def undo_forget() -> dict[str, Any]:
    """Learn from all tastings again."""
    return {"lessons": learning.undo_forget(database())}


@endpoint(blueprint, "GET", "/recipes/<int:recipe_id>/progress", returns=ProgressOut)
def get_progress(recipe_id: int) -> progress.Progress:
    """Get a dessert's versions as a tree with their scores, its taper, and what was learned about it."""
    return progress.progress(database(), recipe_id)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/taper", body=TaperIn, returns=ProgressOut)
def begin_taper(recipe_id: int, body: TaperIn) -> progress.Progress:
    """Begin a taper toward a cut."""
    return progress.begin_taper(database(), recipe_id, body.target, body.path)


@endpoint(blueprint, "DELETE", "/recipes/<int:recipe_id>/taper", returns=ProgressOut)
def end_taper(recipe_id: int) -> progress.Progress:
    """End a taper."""
    return progress.end_taper(database(), recipe_id)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/taper/next", body=TaperStepIn, returns=TaperStepOut)
def next_step(recipe_id: int, body: TaperStepIn) -> dict[str, Any]:
    """Keep the taper's next cut as a version."""
    return {"version_id": progress.next_step(database(), recipe_id, body.client_key)}


@endpoint(blueprint, "GET", "/versions/<int:version_id>/panels", returns=PanelsOut)
def get_panels(version_id: int) -> progress.Panels:
    """Get a version's nutrition panels by US and EU rules; an estimate."""
    return progress.panels_of(database(), version_id)
