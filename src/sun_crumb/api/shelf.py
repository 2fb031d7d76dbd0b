"""Recipes, reworks, versions."""

from __future__ import annotations

from typing import Any

from flask import Blueprint

from sun_crumb.api.contract import endpoint, number_in
from sun_crumb.api.current import database
from sun_crumb.api.kitchen import plain_line
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.checked import CheckOut
from sun_crumb.api.schemas.files import BackupIn, FileIn, FileOut, ImportOut, RestoredOut, UndoIn
from sun_crumb.api.schemas.recipes import OwnPatternsOut, RecipeOut, RecipesOut, ShelfRowOut
from sun_crumb.api.schemas.rework import (
    DifferenceOut,
    FrontierOut,
    NudgesOut,
    OthersOut,
    PathSidesOut,
    PlanOut,
    PreviewOut,
    RelaxationsOut,
)
from sun_crumb.core.formula import PortionKind
from sun_crumb.core.wish import Goals
from sun_crumb.formats.outgoing import FileContent
from sun_crumb.schemas.recipes import (
    KeepIn,
    KindsIn,
    PatternIn,
    PortionKindIn,
    PreviewIn,
    RecipeChangeIn,
    RecipeIn,
    WishIn,
)
from sun_crumb.services import backup, exchange, recipes, shelf, whatif
from sun_crumb.services.figures import ShelfRow
from sun_crumb.services.kept import KeptRecipe
from sun_crumb.services.kitchen import TimedPlan
from sun_crumb.services.methods import given_method
from sun_crumb.services.own_patterns import as_households, keep_as_pattern, patterns_for
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import prices_in
from sun_crumb.services.recipes import NewRecipe
from sun_crumb.services.wishes import goals_of

blueprint = Blueprint("shelf", __name__)


def _portions(kinds: list[PortionKindIn]) -> list[PortionKind]:
    return [PortionKind(kind.name, kind.count, tuple(kind.components)) for kind in kinds]


def _goals(body: WishIn) -> Goals:
    prices = prices_in(database()) if body.most_cost is not None else None
    with database().reading() as session:
        pantry = pantry_in(session)
        return as_households(session, goals_of(body, pantry, prices), pantry)


@endpoint(
    blueprint,
    "GET",
    "/recipes",
    returns=RecipesOut,
    query={"q": "words of the title", "start": "how many to leave out", "count": "how many to give, 60 by default"},
)
def list_recipes(q: str, start: str, count: str) -> shelf.ShelfWindow:
    """List the shelf by title, a window at a time, with what a row shows of every version."""
    window = number_in(count, "count", shelf.WINDOW, shelf.MOST_AT_ONCE)
    return shelf.list_recipes(database(), q[:80], number_in(start, "start", 0), window)


@endpoint(blueprint, "POST", "/recipes", body=RecipeIn, returns=RecipeOut)
def keep_recipe(body: RecipeIn) -> KeptRecipe:
    """Keep a recipe on the shelf."""
    new = NewRecipe(
        title=body.title,
        lines=[plain_line(line) for line in body.lines],
        servings=body.servings,
        unit=body.unit,
        source_text=body.source_text,
        cup=body.cup,
        portions=_portions(body.portions),
        own_yields=body.own_yields,
        method=None if body.method is None else given_method(body.method),
    )
    return recipes.keep_recipe(database(), new, body.client_key)


@endpoint(blueprint, "GET", "/recipes/<int:recipe_id>", returns=RecipeOut)
def get_recipe(recipe_id: int) -> KeptRecipe:
    """Get one recipe with its versions."""
    return recipes.get_recipe(database(), recipe_id)


@endpoint(blueprint, "PATCH", "/recipes/<int:recipe_id>", body=RecipeChangeIn, returns=RecipeOut)
def change_recipe(recipe_id: int, body: RecipeChangeIn) -> KeptRecipe:
    """Change a recipe; refused when it was changed elsewhere since."""
    changes: dict[str, Any] = body.model_dump(exclude_unset=True, exclude={"revision", "lines", "portions", "method"})
    if "portions" in body.model_fields_set:
        changes["portions"] = _portions(body.portions)
    if "lines" in body.model_fields_set:
        changes["lines"] = [plain_line(line) for line in body.lines]
    if "method" in body.model_fields_set:
        changes["method"] = given_method(body.method)
    return recipes.change_recipe(database(), recipe_id, body.revision, changes)


@endpoint(blueprint, "DELETE", "/recipes/<int:recipe_id>", returns=DoneOut)
def delete_recipe(recipe_id: int) -> dict[str, Any]:
    """Take a recipe off the shelf."""
    recipes.delete_recipe(database(), recipe_id)
    return {"done": True}


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/restore", returns=ShelfRowOut)
def restore_recipe(recipe_id: int) -> ShelfRow:
    """Put a recipe back on the shelf."""
    return recipes.restore_recipe(database(), recipe_id)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/rework", body=WishIn, returns=PlanOut)
def rework_recipe(recipe_id: int, body: WishIn) -> TimedPlan:
    """Rebalance a recipe for some goals; nothing is kept."""
    return recipes.rework_recipe(database(), recipe_id, _goals(body), body.cup)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/check", body=KindsIn, returns=CheckOut)
def check_recipe(recipe_id: int, body: KindsIn) -> dict[str, Any]:
    """Judge a recipe by itself: what is off the norms of its kind, what that is like to eat, and the smallest mend."""
    return {"components": recipes.check_recipe(database(), recipe_id, body.families, body.cup)}


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/paths", body=WishIn, returns=PathSidesOut)
def compare_paths(recipe_id: int, body: WishIn) -> whatif.PathsShown:
    """Rebalance a recipe on all five paths, side by side; what is left open each path fills with its own presets."""
    return whatif.compare_paths(database(), recipe_id, _goals(body), body.cup)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/frontier", body=WishIn, returns=FrontierOut)
def compare_cuts(recipe_id: int, body: WishIn) -> dict[str, Any]:
    """Tell how sweet a recipe can stay at each of twelve cuts, and what that costs in energy and balance."""
    return {"points": whatif.compare_cuts(database(), recipe_id, _goals(body), body.cup)}


@endpoint(blueprint, "GET", "/recipes/<int:recipe_id>/patterns", returns=OwnPatternsOut)
def get_patterns(recipe_id: int) -> dict[str, Any]:
    """List the household's own patterns that a component of a recipe can follow."""
    return {"patterns": patterns_for(database(), recipe_id)}


@endpoint(
    blueprint, "POST", "/recipes/<int:recipe_id>/versions/<int:number>/pattern", body=PatternIn, returns=RecipeOut
)
def keep_pattern(recipe_id: int, number: int, body: PatternIn) -> KeptRecipe:
    """Keep a version as a pattern for other desserts, or let go of it as one."""
    keep_as_pattern(database(), recipe_id, number, is_pattern=body.is_pattern)
    return recipes.get_recipe(database(), recipe_id)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/others", body=WishIn, returns=OthersOut)
def other_ways(recipe_id: int, body: WishIn) -> dict[str, Any]:
    """Find up to three plans for the same wish that do it otherwise and are nearly as good."""
    return {"others": whatif.other_ways(database(), recipe_id, _goals(body), body.cup)}


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/sensitivity", body=WishIn, returns=NudgesOut)
def nudge(recipe_id: int, body: WishIn) -> dict[str, Any]:
    """Tell what a little more sweetness and a bigger cut cost in the other goals."""
    return {"nudges": whatif.nudge(database(), recipe_id, _goals(body), body.cup)}


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/relaxations", body=WishIn, returns=RelaxationsOut)
def relax(recipe_id: int, body: WishIn) -> dict[str, Any]:
    """Find the smallest changes that bring a wish into balance."""
    return {"relaxations": whatif.relax(database(), recipe_id, _goals(body), body.cup)}


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/preview", body=PreviewIn, returns=PreviewOut)
def preview_recipe(recipe_id: int, body: PreviewIn) -> whatif.PreviewShown:
    """Follow a slider with the last plan's ingredients; the plan proper comes from rework."""
    return whatif.preview_recipe(database(), recipe_id, body)


@endpoint(
    blueprint,
    "GET",
    "/recipes/<int:recipe_id>/difference",
    returns=DifferenceOut,
    query={"first": "a version's number in the recipe, from 1", "second": "another one's"},
)
def difference(recipe_id: int, first: str, second: str) -> whatif.Difference:
    """Lay two versions side by side, line by line."""
    one, two = number_in(first, "first", 0), number_in(second, "second", 0)
    return whatif.difference(database(), recipe_id, one, two)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/versions", body=KeepIn, returns=RecipeOut)
def keep_version(recipe_id: int, body: KeepIn) -> KeptRecipe:
    """Keep a rework as a version."""
    return recipes.keep_version(
        database(), recipe_id, _goals(body), label=body.label, cup=body.cup, client_key=body.client_key
    )


@endpoint(
    blueprint,
    "GET",
    "/recipes/<int:recipe_id>/export",
    returns=FileOut,
    query={
        "format": "jsonld, html, csv or json",
        "version": "a version's number in the database; the newest by default",
    },
)
def export_recipe(recipe_id: int, format: str, version: str) -> FileContent:
    """Give a recipe as the content of a file."""
    chosen = number_in(version, "version", 0)
    return exchange.export_recipe(database(), recipe_id, format or "json", chosen or None)


@endpoint(blueprint, "POST", "/import", body=FileIn, returns=ImportOut)
def import_file(body: FileIn) -> exchange.Imported:
    """Take a recipe from a file: a saved page, JSON-LD, CSV, text, or Sun Crumb's own JSON."""
    return exchange.import_file(database(), body.name, body.content, body.client_key)


@endpoint(blueprint, "GET", "/backup", returns=FileOut)
def back_up() -> FileContent:
    """Give everything that is kept as the content of one open file."""
    return backup.back_up(database())


@endpoint(blueprint, "POST", "/restore", body=BackupIn, returns=RestoredOut)
def restore(body: BackupIn) -> backup.Restored:
    """Put a backup in the place of everything; what was there is kept in the data folder."""
    return backup.restore(database(), body.content)


@endpoint(blueprint, "POST", "/restore/undo", body=UndoIn, returns=RestoredOut)
def undo_restore(body: UndoIn) -> backup.Restored:
    """Bring back what a restore replaced."""
    return backup.undo_restore(database(), body.kept_as)
