"""Files -> recipe text that the reader reads, or a recipe in Sun Crumb's own format."""

from __future__ import annotations

import csv
import io
import json
from dataclasses import dataclass
from html import unescape
from typing import Any

from sun_crumb.core.errors import CoreError

MOST_CHARACTERS = 900_000


class UnreadableFileError(CoreError):
    """The file holds no recipe that can be read; says why."""

    code = "unreadable_file"


@dataclass(frozen=True, slots=True)
class Incoming:
    """Either *text* for the reader, or the *recipe* of an own file."""

    text: str = ""
    recipe: dict[str, Any] | None = None


def read_file(name: str, content: str) -> Incoming:
    """Return what a file holds; its kind is told by what is in it, then by its name.

    Raises
    ------
    UnreadableFileError
        Nothing in it is a recipe.
    """
    if len(content) > MOST_CHARACTERS:
        raise UnreadableFileError(f"{name} is longer than {MOST_CHARACTERS:,} characters", field="content")
    stripped = content.lstrip("\ufeff \t\r\n")
    if not stripped:
        raise UnreadableFileError(f"{name} is empty", field="content")
    if stripped[0] in "{[":
        return _json(name, stripped)
    if stripped[0] == "<":
        return Incoming(_from_page(name, stripped))
    if name.lower().endswith(".csv"):
        return Incoming(_from_csv(name, stripped))
    return Incoming(stripped)


def _json(name: str, content: str) -> Incoming:
    try:
        data = json.loads(content)
    except (ValueError, RecursionError) as error:
        raise UnreadableFileError(f"{name} is not whole JSON: {error}", field="content") from None
    if isinstance(data, dict) and data.get("format") == "sun-crumb-recipe":
        if data.get("version") != 1:
            raise UnreadableFileError(f"{name} comes from a newer Sun Crumb", field="content")
        return Incoming(recipe=data)
    found = _find_recipe(data, 0)
    if found is None:
        raise UnreadableFileError(f"{name} holds no schema.org Recipe", field="content")
    # The library that reads saved pages reads the JSON as well, in a page made around it.
    script = json.dumps(found).replace("<", "\\u003c")
    return Incoming(_from_page(name, f'<html><script type="application/ld+json">{script}</script></html>'))


def _find_recipe(data: Any, depth: int) -> dict[str, Any] | None:
    if depth > 6:
        return None
    if isinstance(data, dict):
        kind = data.get("@type")
        if kind == "Recipe" or (isinstance(kind, list) and "Recipe" in kind):
            return {"@context": "https://schema.org", **data, "@type": "Recipe"}
        inside = data.get("@graph", [])
        return _find_recipe(inside, depth + 1)
    if isinstance(data, list):
        return next((found for item in data if (found := _find_recipe(item, depth + 1))), None)
    return None


def _from_page(name: str, page: str) -> str:
    """Return the recipe text of a page, read by recipe-scrapers without any site's own rules."""
    from recipe_scrapers import scrape_html

    try:
        scraped: Any = scrape_html(page, org_url="https://saved.invalid/page", supported_only=False)
        lines = [scraped.title() or "", ""]
        ingredients = scraped.ingredients()
    except Exception as error:  # the library raises many kinds for pages without a recipe
        raise UnreadableFileError(
            f"{name} holds no recipe that a program can find ({error})", field="content"
        ) from None
    if not ingredients:
        raise UnreadableFileError(f"{name} holds a recipe without ingredients", field="content")
    lines.insert(1, _or_empty(scraped.yields, "Makes "))
    lines += [unescape(str(item)) for item in ingredients]
    steps = _steps(scraped)
    if steps:
        lines += ["", "Method", *steps]
    return "\n".join(lines)


def _or_empty(call: Any, before: str) -> str:
    try:
        value = call()
    except Exception:  # a missing yield is no reason to refuse the page
        return ""
    return f"{before}{value}" if value else ""


def _steps(scraped: Any) -> list[str]:
    try:
        return [step for step in scraped.instructions_list() if step]
    except Exception:  # nor is a missing method
        return []


def _from_csv(name: str, content: str) -> str:
    """Return recipe text of a table whose columns are named: ingredient or name, and grams, or amount and unit."""
    try:
        dialect = csv.Sniffer().sniff(content[:2000], delimiters=",;\t")
    except csv.Error:
        dialect = csv.excel
    rows = [
        {(k or "").strip().lower(): (v or "").strip() for k, v in row.items() if not isinstance(v, list)}
        for row in csv.DictReader(io.StringIO(content), dialect=dialect)
    ]
    food = next((c for c in ("name", "ingredient", "food", "item") if rows and c in rows[0]), None)
    if food is None:
        raise UnreadableFileError(f"{name} needs a column named ingredient or name", field="content")
    lines, component = [name.rsplit(".", 1)[0].replace("-", " ").replace("_", " ").capitalize()], None
    for row in rows:
        if row.get("component", "") != component:
            component = row.get("component", "")
            if component:
                lines.append(f"For the {component}:")
        amount = (
            f"{row['grams']} g"
            if row.get("grams")
            else " ".join(filter(None, (row.get("amount") or row.get("quantity"), row.get("unit"))))
        )
        if row[food]:
            lines.append(f"{amount} {row[food]}".strip())
    return "\n".join(lines)
