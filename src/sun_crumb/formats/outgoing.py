"""A recipe's version as schema.org JSON-LD, as a page, as CSV."""

from __future__ import annotations

import csv
import io
import json
import re
from collections.abc import Sequence
from dataclasses import dataclass
from functools import cache
from typing import Any, Protocol

from jinja2 import Environment, PackageLoader, StrictUndefined

from sun_crumb.core.formula import Totals
from sun_crumb.core.quantities.nouns import plural

SCHEMA = "https://schema.org"


@dataclass(frozen=True, slots=True)
class FileContent:
    """What a file is called, what it is, and what it holds."""

    name: str
    media_type: str
    content: str


class SheetLine(Protocol):
    """One line of a sheet, as any record of a line has it."""

    @property
    def component(self) -> str: ...
    @property
    def ingredient(self) -> str: ...
    @property
    def name(self) -> str: ...
    @property
    def grams(self) -> float: ...
    @property
    def amount(self) -> str: ...
    @property
    def household(self) -> str: ...
    @property
    def text(self) -> str: ...


@dataclass(frozen=True, slots=True)
class Sheet:
    """One version of a recipe, as a file shows it; ``one`` is what a portion holds."""

    name: str
    servings: int
    unit: str
    lines: Sequence[SheetLine]
    steps: tuple[str, ...]
    one: Totals


def file_name(title: str, ending: str) -> str:
    """Return a plain file name for a title."""
    return (re.sub(r"[^a-z0-9]+", "-", title.lower()).strip("-") or "recipe") + ending


def json_ld(sheet: Sheet) -> dict[str, Any]:
    """Return a sheet as a schema.org Recipe with its nutrition per portion."""
    one = sheet.one
    return {
        "@context": SCHEMA,
        "@type": "Recipe",
        "name": sheet.name,
        "recipeYield": f"{sheet.servings} {plural(sheet.unit, sheet.servings)}",
        "recipeIngredient": [f"{line.amount} {line.name} ({line.household})" for line in sheet.lines],
        "recipeInstructions": [{"@type": "HowToStep", "text": step} for step in sheet.steps],
        "nutrition": {
            "@type": "NutritionInformation",
            "servingSize": f"1 {sheet.unit} ({one.mass_g:.0f} g)",
            "calories": f"{one.energy_kcal:.0f} kcal",
            "sugarContent": f"{one.total_sugars_g:.1f} g",
            "carbohydrateContent": f"{one.carbohydrate_g:.1f} g",
            "fatContent": f"{one.fat_g:.1f} g",
            "proteinContent": f"{one.protein_g:.1f} g",
            "fiberContent": f"{one.fibre_g:.1f} g",
        },
    }


def json_ld_text(sheet: Sheet) -> str:
    """Return a sheet as the text of a JSON-LD file."""
    return json.dumps(json_ld(sheet), ensure_ascii=False, indent=2)


def page(sheet: Sheet) -> str:
    """Return a sheet as a page of its own, with its JSON-LD inside; the template escapes every value."""
    data = json_ld(sheet)
    return _templates().get_template("recipe.html").render(data=data, held=data["nutrition"], steps=sheet.steps)


@cache
def _templates() -> Environment:
    return Environment(
        loader=PackageLoader("sun_crumb.formats"), autoescape=True, undefined=StrictUndefined, trim_blocks=True
    )


def table(sheet: Sheet) -> str:
    """Return a sheet's lines as CSV: component, ingredient, name, grams, household, text."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    columns = ("component", "ingredient", "name", "grams", "household", "text")
    writer.writerow(columns)
    for line in sheet.lines:
        # A cell that begins like a formula would be run by a spreadsheet.
        writer.writerow([_harmless(getattr(line, column)) for column in columns])
    return out.getvalue()


def _harmless(cell: object) -> object:
    return f"'{cell}" if isinstance(cell, str) and cell[:1] in ("=", "+", "-", "@", "\t", "\r", "\n") else cell
