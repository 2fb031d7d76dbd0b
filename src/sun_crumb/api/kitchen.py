"""Reading, analysing, looking up ingredients: needs no stored data."""

from __future__ import annotations

from typing import Any

from flask import Blueprint

from sun_crumb.api.contract import endpoint
from sun_crumb.api.schemas import AnalyseIn, AnalysisOut, ChoicesOut, IngredientsOut, LineIn, ReadIn, ReadingOut
from sun_crumb.services import kitchen, settings

blueprint = Blueprint("kitchen", __name__)


def plain_line(line: LineIn) -> kitchen.PlainLine:
    """Return a request's line as the services take it."""
    return kitchen.PlainLine(line.ingredient, line.grams, line.component, line.text, line.is_crushed)


@endpoint(blueprint, "POST", "/read", body=ReadIn, returns=ReadingOut)
def read(body: ReadIn) -> dict[str, Any]:
    """Read a pasted recipe into weighed lines."""
    return kitchen.read(body.text, body.cup)


@endpoint(blueprint, "POST", "/analyse", body=AnalyseIn, returns=AnalysisOut)
def analyse(body: AnalyseIn) -> dict[str, Any]:
    """Total weighed lines per batch, serving and 100 g."""
    return kitchen.analyse([plain_line(line) for line in body.lines], body.servings, body.unit)


@endpoint(blueprint, "GET", "/pantry", returns=IngredientsOut, query={"q": "part of a name"})
def pantry(q: str) -> dict[str, Any]:
    """Look up ingredients by name."""
    return {"ingredients": kitchen.search_pantry(q[:80], 12 if q.strip() else 1000)}


@endpoint(blueprint, "GET", "/choices", returns=ChoicesOut)
def choices() -> dict[str, Any]:
    """List what can be chosen: paths, diets, families, cups, sweeteners, limits."""
    return settings.choices()
