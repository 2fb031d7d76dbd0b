"""Recipes in and out of files."""

from __future__ import annotations

import json

from sqlalchemy import select

from sun_crumb.core.errors import CoreError, require_choice
from sun_crumb.core.formula import FormulaLine, PortionKind
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.pantry.label import Label
from sun_crumb.core.reading import read_recipe
from sun_crumb.formats import outgoing
from sun_crumb.formats.incoming import UnreadableFileError, read_file
from sun_crumb.services import recipes
from sun_crumb.services.clock import now
from sun_crumb.services.kitchen import PlainLine
from sun_crumb.services.pantry import keep_product, pantry_of, product_labels
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
        "json": lambda: json.dumps(
            outgoing.own_json(recipe, _products(database, recipe)), ensure_ascii=False, indent=2
        ),
    }[kind]()
    name = outgoing.file_name(
        recipe["title"], {"jsonld": ".jsonld", "html": ".html", "csv": ".csv", "json": ".json"}[kind]
    )
    return {"name": name, "media_type": FORMATS[kind], "content": content}


def _products(database: Database, recipe: View) -> list[View]:
    """Return the labels of the household's own products that a recipe holds."""
    held = {line["ingredient"] for version in recipe["versions"] for line in version["lines"]}
    return [label for label in product_labels(database) if label["key"] in held]


def _check(recipe: View, pantry: Pantry) -> None:
    """Raise unless every line of an own file is a food of this pantry or of the file: nothing is kept of a bad one."""
    known = {str(product["key"]) for product in recipe.get("products", [])}
    for version in recipe["versions"]:
        for line in _lines(version):
            if line.ingredient not in known:
                FormulaLine(pantry[line.ingredient], line.grams)


def _bring_products(database: Database, products: list[View]) -> dict[str, str]:
    """Return this household's key for each product of the file: the same label's if it is there, else a new one's."""
    here = {json.dumps([p["label"], p["like"]], sort_keys=True): p["key"] for p in product_labels(database)}
    keys = {}
    for product in products:
        known = here.get(json.dumps([product["label"], product["like"]], sort_keys=True))
        if known is None:
            label = Label(**product["label"])
            known = str(keep_product(database, label, str(product["like"]))["ingredient"]["key"])
        keys[str(product["key"])] = known
    return keys


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
        _check(found.recipe, pantry_of(database))
        keys = _bring_products(database, found.recipe.get("products", []))
        versions = [_renamed(version, keys) for version in found.recipe["versions"]]
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
            own_yields={str(c): int(n) for c, n in first.get("own_yields", {}).items()},
        )
        _more_versions(database, view["id"], versions[1:])
    except CoreError:
        raise
    except (KeyError, TypeError, ValueError, IndexError, AttributeError) as error:
        raise UnreadableFileError(f"{name} is damaged: {error!r} is missing or wrong", field="content") from None
    return {"text": "", "recipe_id": view["id"]}


def _renamed(version: View, keys: dict[str, str]) -> View:
    lines = [line | {"ingredient": keys.get(line["ingredient"], line["ingredient"])} for line in version["lines"]]
    return version | {"lines": lines}


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
                own_yields=version.get("own_yields") or None,
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
