"""Recipes in and out of files."""

from __future__ import annotations

import json

from sqlalchemy import select

from sun_crumb.core.errors import CoreError, require_choice
from sun_crumb.core.formula import PortionKind
from sun_crumb.core.reading import read_recipe
from sun_crumb.formats import outgoing
from sun_crumb.formats.incoming import UnreadableFileError, read_file
from sun_crumb.services import recipes
from sun_crumb.services.clock import now
from sun_crumb.services.kitchen import PlainLine
from sun_crumb.services.pantry import pantry_of
from sun_crumb.services.views import View
from sun_crumb.store import Database
from sun_crumb.store.tables import Line, Recipe, Version

FORMATS = {"jsonld": "application/ld+json", "html": "text/html", "csv": "text/csv", "json": "application/json"}


def export_recipe(database: Database, recipe_id: int, kind: str, version_id: int | None = None) -> View:
    """Return a recipe as the content of a file: jsonld, html or csv of one version, json of all of them."""
    require_choice(kind, FORMATS, "format")
    recipe = recipes.get_recipe(database, recipe_id)
    version = next((v for v in recipe["versions"] if v["id"] == version_id), recipe["versions"][-1])
    steps = _steps(database, recipe["source_text"])
    content = {
        "jsonld": lambda: json.dumps(outgoing.json_ld(recipe, version, steps), ensure_ascii=False, indent=2),
        "html": lambda: outgoing.page(recipe, version, steps),
        "csv": lambda: outgoing.table(version),
        "json": lambda: json.dumps(outgoing.own_json(recipe), ensure_ascii=False, indent=2),
    }[kind]()
    name = outgoing.file_name(
        recipe["title"], {"jsonld": ".jsonld", "html": ".html", "csv": ".csv", "json": ".json"}[kind]
    )
    return {"name": name, "media_type": FORMATS[kind], "content": content}


def _steps(database: Database, source_text: str) -> list[str]:
    if not source_text.strip():
        return []
    return list(read_recipe(source_text, pantry_of(database)).steps)


def import_file(database: Database, name: str, content: str) -> View:
    """Return the text of a file for the reader, or put the recipe of an own file on the shelf and return its number."""
    found = read_file(name, content)
    if found.recipe is None:
        return {"text": found.text, "recipe_id": None}
    try:
        versions = found.recipe["versions"]
        first = versions[0]
        view = recipes.keep_recipe(
            database,
            title=str(found.recipe["title"]),
            source_text=str(found.recipe.get("source_text", "")),
            cup=str(found.recipe.get("cup", "us")),
            servings=int(first["servings"]),
            unit=str(first["unit"]),
            lines=_lines(first),
            portions=_portions(first),
        )
        _more_versions(database, view["id"], versions[1:])
    except CoreError:
        raise
    except (KeyError, TypeError, ValueError, IndexError, AttributeError) as error:
        raise UnreadableFileError(f"{name} is damaged: {error!r} is missing or wrong", field="content") from None
    return {"text": "", "recipe_id": view["id"]}


def _lines(version: View) -> list[PlainLine]:
    return [
        PlainLine(
            str(x["ingredient"]),
            float(x["grams"]),
            str(x.get("component", "")),
            str(x.get("text", "")),
            x.get("is_crushed"),
        )
        for x in version["lines"]
    ]


def _portions(version: View) -> list[PortionKind]:
    return [PortionKind(str(k["name"]), int(k["count"]), tuple(k["components"])) for k in version.get("portions", ())]


def _more_versions(database: Database, recipe_id: int, versions: list[View]) -> None:
    pantry = pantry_of(database)
    with database.transaction() as session:
        recipe = session.scalars(select(Recipe).where(Recipe.id == recipe_id)).one()
        for number, version in enumerate(versions, start=2):
            row = Version(
                number=number,
                label=str(version["label"])[:80],
                servings=int(version["servings"]),
                unit=str(version["unit"]),
                status=str(version.get("status", "")),
                goals=version.get("goals"),
                portions=version.get("portions") or None,
                created_at=now(),
            )
            row.lines = [
                Line(
                    position=n,
                    component=line.component,
                    ingredient=pantry[line.ingredient].key,
                    grams=line.grams,
                    text=line.text,
                    is_crushed=bool(line.is_crushed),
                    reason=str(raw.get("reason", "")),
                )
                for n, (line, raw) in enumerate(zip(_lines(version), version["lines"], strict=True))
            ]
            recipe.versions.append(row)
