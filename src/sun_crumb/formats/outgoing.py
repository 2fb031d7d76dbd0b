"""A recipe's version as schema.org JSON-LD, as a page, as CSV."""

from __future__ import annotations

import csv
import io
import re
from functools import cache
from typing import Any

from jinja2 import Environment, PackageLoader, StrictUndefined

from sun_crumb.core.quantities.nouns import plural

Recipe = dict[str, Any]
SCHEMA = "https://schema.org"


def file_name(title: str, ending: str) -> str:
    """Return a plain file name for a title."""
    return (re.sub(r"[^a-z0-9]+", "-", title.lower()).strip("-") or "recipe") + ending


def json_ld(recipe: Recipe, version: Recipe, steps: list[str]) -> dict[str, Any]:
    """Return one version as a schema.org Recipe with its nutrition per portion."""
    held = version["per_serving"]
    return {
        "@context": SCHEMA,
        "@type": "Recipe",
        "name": recipe["title"] if version["number"] == 1 else f"{recipe['title']} ({version['label']})",
        "recipeYield": f"{version['servings']} {plural(version['unit'], version['servings'])}",
        "recipeIngredient": [f"{line['amount']} {line['name']} ({line['household']})" for line in version["lines"]],
        "recipeInstructions": [{"@type": "HowToStep", "text": step} for step in steps],
        "nutrition": {
            "@type": "NutritionInformation",
            "servingSize": f"1 {version['unit']} ({held['mass_g']:.0f} g)",
            "calories": f"{held['energy_kcal']:.0f} kcal",
            "sugarContent": f"{held['total_sugars_g']:.1f} g",
            "carbohydrateContent": f"{held['carbohydrate_g']:.1f} g",
            "fatContent": f"{held['fat_g']:.1f} g",
            "proteinContent": f"{held['protein_g']:.1f} g",
            "fiberContent": f"{held['fibre_g']:.1f} g",
        },
    }


def page(recipe: Recipe, version: Recipe, steps: list[str]) -> str:
    """Return one version as a page of its own, with its JSON-LD inside; the template escapes every value."""
    data = json_ld(recipe, version, steps)
    return _templates().get_template("recipe.html").render(data=data, held=data["nutrition"], steps=steps)


@cache
def _templates() -> Environment:
    return Environment(
        loader=PackageLoader("sun_crumb.formats"), autoescape=True, undefined=StrictUndefined, trim_blocks=True
    )


def table(version: Recipe) -> str:
    """Return a version's lines as CSV: component, ingredient, name, grams, household, text."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    columns = ("component", "ingredient", "name", "grams", "household", "text")
    writer.writerow(columns)
    for line in version["lines"]:
        # A cell that begins like a formula would be run by a spreadsheet.
        writer.writerow([_harmless(line[column]) for column in columns])
    return out.getvalue()


def _harmless(cell: object) -> object:
    return f"'{cell}" if isinstance(cell, str) and cell[:1] in ("=", "+", "-", "@", "\t", "\r", "\n") else cell
