"""Recipes, reworks, versions."""

from __future__ import annotations

from typing import Any

from flask import Blueprint

from sun_crumb.api.contract import endpoint
from sun_crumb.api.current import database
from sun_crumb.api.kitchen import plain_line
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.files import FileIn, FileOut, ImportOut
from sun_crumb.api.schemas.recipes import PortionKindIn, RecipeChangeIn, RecipeIn, RecipeOut, RecipesOut
from sun_crumb.api.schemas.rework import (
    DifferenceOut,
    FrontierOut,
    GoalsIn,
    KeepIn,
    NudgesOut,
    PathSidesOut,
    PlanOut,
    PreviewIn,
    PreviewOut,
    RelaxationsOut,
)
from sun_crumb.core.formula import PortionKind
from sun_crumb.core.rework import Goals
from sun_crumb.services import exchange, kitchen, recipes, whatif
from sun_crumb.services.pantry import pantry_of, prices_in

blueprint = Blueprint("shelf", __name__)


def _portions(kinds: list[PortionKindIn]) -> list[PortionKind]:
    return [PortionKind(kind.name, kind.count, tuple(kind.components)) for kind in kinds]


def _known(keys: list[str], field: str) -> tuple[str, ...]:
    return kitchen.pantry_keys(keys, pantry_of(database()), field) if keys else ()


def _goals(body: GoalsIn) -> Goals:
    return Goals(
        path=body.path,
        cut=body.cut,
        keep_sweet=body.keep_sweet,
        definition=body.definition,
        diets=tuple(body.diets),
        cupboard=None if body.cupboard is None else kitchen.cupboard_keys(body.cupboard, pantry_of(database())),
        avoid=tuple(body.avoid),
        eaters=tuple(body.eaters),
        without=_known(body.without, "without"),
        including=_known(body.including, "including"),
        most_energy_kcal=body.most_energy_kcal,
        most_free_sugar_g=body.most_free_sugar_g,
        most_cost=body.most_cost,
        prices=prices_in(database()) if body.most_cost is not None else {},
        families=body.families,
        locks=body.locks,
        amounts=tuple(
            (a.component, key, a.grams)
            for a, key in zip(body.amounts, _known([a.ingredient for a in body.amounts], "amounts"), strict=True)
        ),
        most_new=body.most_new,
        caps=body.caps,
        flavours=None if body.flavours is None else tuple(body.flavours),
    )


@endpoint(blueprint, "GET", "/recipes", returns=RecipesOut, query={"q": "words of the title"})
def list_recipes(q: str) -> dict[str, Any]:
    """List the shelf with the figures of every version."""
    return {"recipes": recipes.list_recipes(database(), q[:80])}


@endpoint(blueprint, "POST", "/recipes", body=RecipeIn, returns=RecipeOut)
def keep_recipe(body: RecipeIn) -> dict[str, Any]:
    """Keep a recipe on the shelf."""
    return recipes.keep_recipe(
        database(),
        title=body.title,
        source_text=body.source_text,
        cup=body.cup,
        servings=body.servings,
        unit=body.unit,
        lines=[plain_line(line) for line in body.lines],
        portions=_portions(body.portions),
        own_yields=body.own_yields,
        client_key=body.client_key,
    )


@endpoint(blueprint, "GET", "/recipes/<int:recipe_id>", returns=RecipeOut)
def get_recipe(recipe_id: int) -> dict[str, Any]:
    """Get one recipe with its versions."""
    return recipes.get_recipe(database(), recipe_id)


@endpoint(blueprint, "PATCH", "/recipes/<int:recipe_id>", body=RecipeChangeIn, returns=RecipeOut)
def change_recipe(recipe_id: int, body: RecipeChangeIn) -> dict[str, Any]:
    """Change a recipe; refused when it was changed elsewhere since."""
    changes: dict[str, Any] = body.model_dump(exclude_none=True, exclude={"revision", "lines", "portions"})
    if body.portions is not None:
        changes["portions"] = _portions(body.portions)
    if body.lines is not None:
        changes["lines"] = [plain_line(line) for line in body.lines]
    return recipes.change_recipe(database(), recipe_id, body.revision, changes)


@endpoint(blueprint, "DELETE", "/recipes/<int:recipe_id>", returns=DoneOut)
def delete_recipe(recipe_id: int) -> dict[str, Any]:
    """Take a recipe off the shelf."""
    recipes.delete_recipe(database(), recipe_id)
    return {"done": True}


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/restore", returns=RecipeOut)
def restore_recipe(recipe_id: int) -> dict[str, Any]:
    """Put a recipe back on the shelf."""
    return recipes.restore_recipe(database(), recipe_id)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/rework", body=GoalsIn, returns=PlanOut)
def rework_recipe(recipe_id: int, body: GoalsIn) -> dict[str, Any]:
    """Rebalance a recipe for some goals; nothing is kept."""
    return recipes.rework_recipe(database(), recipe_id, _goals(body), body.cup)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/paths", body=GoalsIn, returns=PathSidesOut)
def compare_paths(recipe_id: int, body: GoalsIn) -> dict[str, Any]:
    """Rebalance a recipe on all five paths, side by side; what is left open each path fills with its own presets."""
    return whatif.compare_paths(database(), recipe_id, _goals(body), body.cup)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/frontier", body=GoalsIn, returns=FrontierOut)
def compare_cuts(recipe_id: int, body: GoalsIn) -> dict[str, Any]:
    """Tell what each sugar cut costs in sweetness, energy and balance."""
    return whatif.compare_cuts(database(), recipe_id, _goals(body), body.cup)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/sensitivity", body=GoalsIn, returns=NudgesOut)
def nudge(recipe_id: int, body: GoalsIn) -> dict[str, Any]:
    """Tell what a little more sweetness and a bigger cut cost in the other goals."""
    return whatif.nudge(database(), recipe_id, _goals(body), body.cup)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/relaxations", body=GoalsIn, returns=RelaxationsOut)
def relax(recipe_id: int, body: GoalsIn) -> dict[str, Any]:
    """Find the smallest changes that bring a wish into balance."""
    return whatif.relax(database(), recipe_id, _goals(body), body.cup)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/preview", body=PreviewIn, returns=PreviewOut)
def preview_recipe(recipe_id: int, body: PreviewIn) -> dict[str, Any]:
    """Follow a slider with the last plan's ingredients; the plan proper comes from rework."""
    support = [(s.component, s.ingredient, s.grams) for s in body.support]
    return whatif.preview_recipe(database(), recipe_id, _goals(body), support, body.cup)


@endpoint(
    blueprint,
    "GET",
    "/recipes/<int:recipe_id>/difference",
    returns=DifferenceOut,
    query={"first": "a version's number in the recipe, from 1", "second": "another one's"},
)
def difference(recipe_id: int, first: str, second: str) -> dict[str, Any]:
    """Lay two versions side by side, line by line."""
    numbers = [int(n) if n.isdigit() and len(n) < 7 else 0 for n in (first, second)]
    return whatif.difference(database(), recipe_id, *numbers)


@endpoint(blueprint, "POST", "/recipes/<int:recipe_id>/versions", body=KeepIn, returns=RecipeOut)
def keep_version(recipe_id: int, body: KeepIn) -> dict[str, Any]:
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
def export_recipe(recipe_id: int, format: str, version: str) -> dict[str, Any]:
    """Give a recipe as the content of a file."""
    return exchange.export_recipe(database(), recipe_id, format or "json", int(version) if version.isdigit() else None)


@endpoint(blueprint, "POST", "/import", body=FileIn, returns=ImportOut)
def import_file(body: FileIn) -> dict[str, Any]:
    """Take a recipe from a file: a saved page, JSON-LD, CSV, text, or Sun Crumb's own JSON."""
    return exchange.import_file(database(), body.name, body.content)
