"""A recipe's version as schema.org JSON-LD, as a page, as CSV."""

from __future__ import annotations

import csv
import html
import io
import json
import re
from typing import Any

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
        "recipeYield": f"{version['servings']} {version['unit']}s",
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
    """Return one version as a page of its own, with its JSON-LD inside; every word of the recipe is escaped."""
    data = json_ld(recipe, version, steps)
    text = json.dumps(data, ensure_ascii=False, indent=1).replace("<", "\\u003c")
    items = "".join(f"<li>{html.escape(line)}</li>" for line in data["recipeIngredient"])
    method = "".join(f"<li>{html.escape(step)}</li>" for step in steps)
    held = data["nutrition"]
    return (
        '<!doctype html><html lang="en"><head><meta charset="utf-8">'
        f"<title>{html.escape(data['name'])}</title>"
        f'<script type="application/ld+json">{text}</script></head><body><h1>{html.escape(data["name"])}</h1>'
        f"<p>{html.escape(data['recipeYield'])}; {held['servingSize']}: {held['calories']}, sugars {held['sugarContent']}</p>"
        f"<ul>{items}</ul><ol>{method}</ol></body></html>"
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
    return f"'{cell}" if isinstance(cell, str) and cell[:1] in ("=", "+", "-", "@", "\t") else cell


def own_json(recipe: Recipe, products: list[dict[str, Any]]) -> dict[str, Any]:
    """Return a recipe with all its versions in Sun Crumb's own format, with the household's products it holds."""
    return {
        "format": "sun-crumb-recipe",
        "version": 1,
        "title": recipe["title"],
        "cup": recipe["cup"],
        "source_text": recipe["source_text"],
        "products": products,
        "versions": [
            {
                "label": v["label"],
                "status": v["status"],
                "servings": v["servings"],
                "unit": v["unit"],
                "goals": v["goals"],
                "portions": [{k: p[k] for k in ("name", "count", "components")} for p in v["portions"]],
                "own_yields": v["own_yields"],
                "lines": [
                    {k: line[k] for k in ("component", "ingredient", "grams", "text", "is_crushed", "reason")}
                    for line in v["lines"]
                ],
            }
            for v in recipe["versions"]
        ],
    }
