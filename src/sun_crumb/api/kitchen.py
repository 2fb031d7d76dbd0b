"""Reading, analysing, looking up ingredients, own products."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from flask import Blueprint

from sun_crumb.api.contract import endpoint
from sun_crumb.api.current import database
from sun_crumb.api.errors import InvalidRequestError
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.checked import CheckOut
from sun_crumb.api.schemas.choices import ChoicesOut
from sun_crumb.api.schemas.pantry import IngredientDetailOut, IngredientsOut, ProductOut, SweetenersOut
from sun_crumb.api.schemas.reading import AnalysedOut, ReadIn, ReadingOut
from sun_crumb.core.formula import Analysis
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reading.records import Oven
from sun_crumb.schemas.products import LabelIn, PackIn, ProductIn
from sun_crumb.schemas.recipes import AnalyseIn, CheckIn, LineIn
from sun_crumb.services import choices as offered
from sun_crumb.services import kitchen, pantry

blueprint = Blueprint("kitchen", __name__)


def plain_line(line: LineIn) -> kitchen.PlainLine:
    """Return a request's line as the services take it."""
    return kitchen.PlainLine(line.ingredient, line.grams, line.component, line.text, line.is_crushed)


def _pack(body: LabelIn) -> PackIn:
    return PackIn(**body.model_dump(include=set(PackIn.model_fields)))


@endpoint(blueprint, "POST", "/read", body=ReadIn, returns=ReadingOut)
def read(body: ReadIn) -> kitchen.ReadText:
    """Read a pasted recipe into weighed lines."""
    return kitchen.read(body.text, body.cup, pantry.pantry_of(database()), body.roles)


@endpoint(blueprint, "POST", "/analyse", body=AnalyseIn, returns=AnalysedOut)
def analyse(body: AnalyseIn) -> Analysis:
    """Total weighed lines per batch, serving and 100 g."""
    lines = [plain_line(line) for line in body.lines]
    return kitchen.analyse(lines, body.servings, body.unit, pantry.pantry_of(database()), body.own_yields)


@endpoint(blueprint, "POST", "/check", body=CheckIn, returns=CheckOut)
def check(body: CheckIn) -> dict[str, Any]:
    """Judge weighed lines by themselves, each component by the norms of its kind."""
    lines = [plain_line(line) for line in body.lines]
    found = pantry.pantry_of(database())
    formula = kitchen.formula_of(body.title, lines, body.servings, body.unit, found, body.own_yields)
    cup = cup_standard(body.cup or "us")
    oven = None if body.oven is None else Oven(**body.oven.model_dump())
    return {"components": kitchen.check(replace(formula, method=body.method, oven=oven), body.families, cup)}


@endpoint(blueprint, "GET", "/pantry", returns=IngredientsOut, query={"q": "part of a name"})
def search_pantry(q: str) -> dict[str, Any]:
    """Look up ingredients by name."""
    found, hidden = pantry.pantry_of(database()), pantry.hidden_products(database())
    return {"ingredients": kitchen.search_pantry(q[:80], 12 if q.strip() else 1000, found, hidden)}


@endpoint(blueprint, "GET", "/pantry/<key>", returns=IngredientDetailOut)
def get_ingredient(key: str) -> pantry.Facts:
    """Get an ingredient with its composition, weights, names and sources."""
    return pantry.get_ingredient(database(), key)


@endpoint(blueprint, "POST", "/labels", body=LabelIn, returns=ProductOut)
def read_label(body: LabelIn) -> pantry.Labelled:
    """Work out what a pack's label describes; nothing is kept."""
    return pantry.read_label(_pack(body), body.like)


@endpoint(blueprint, "POST", "/products", body=ProductIn, returns=ProductOut)
def keep_product(body: ProductIn) -> pantry.Labelled:
    """Keep a product of the household's own."""
    return pantry.keep_product(database(), _pack(body), body.like, body.client_key)


@endpoint(blueprint, "DELETE", "/products/<key>", returns=DoneOut)
def remove_product(key: str) -> dict[str, Any]:
    """Take a product out of sight; recipes that hold it keep it."""
    pantry.remove_product(database(), key)
    return {"done": True}


@endpoint(blueprint, "POST", "/products/<key>/restore", returns=ProductOut)
def restore_product(key: str) -> pantry.Labelled:
    """Bring a product back."""
    return pantry.restore_product(database(), key)


@endpoint(
    blueprint,
    "GET",
    "/sweeteners",
    returns=SweetenersOut,
    query={"sugar": "grams of sugar to match", "batter": "grams of batter", "cup": "cup standard"},
)
def sweeteners(sugar: str, batter: str, cup: str) -> dict[str, Any]:
    """Compare every sweetener at equal sweetness."""
    try:
        sugar_g, batter_g = float(sugar or 100), float(batter or 850)
    except ValueError:
        raise InvalidRequestError("sugar and batter are grams, as numbers", field="sugar") from None
    return {"sweeteners": pantry.sweeteners(database(), sugar_g, batter_g, cup or "us")}


@endpoint(blueprint, "GET", "/choices", returns=ChoicesOut)
def choices() -> offered.Choices:
    """List what can be chosen: paths, diets, families, cups, sweeteners, limits."""
    return offered.choices(database())
