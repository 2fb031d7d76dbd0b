"""Files -> recipe text that the reader reads, or the data of a recipe in Sun Crumb's own format."""

from __future__ import annotations

import csv
import io
import json
import re
from dataclasses import dataclass
from typing import Any

from sun_crumb.core.errors import CoreError
from sun_crumb.formats.page import PageTooWildError, recipe_in_page, recipe_of, recipe_text
from sun_crumb.formats.page_words import words_of_page

MOST_CHARACTERS = 900_000
MOST_ROWS = 2_000


class UnreadableFileError(CoreError):
    """The file holds no recipe that can be read; says why."""

    code = "unreadable_file"


@dataclass(frozen=True, slots=True)
class Incoming:
    """Either *text* for the reader, or the *recipe* of an own file, unchecked."""

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
        return Incoming(whole(_from_page(name, stripped)))
    if name.lower().endswith(".csv"):
        return Incoming(whole(_from_csv(name, stripped)))
    return Incoming(whole(stripped))


def whole(text: str) -> str:
    """Return *text* with a question mark for every half of a character: it could be neither stored nor sent."""
    return text.encode(errors="replace").decode()


def _json(name: str, content: str) -> Incoming:
    try:
        data = json.loads(content)
    except (ValueError, RecursionError) as error:
        raise UnreadableFileError(f"{name} is not whole JSON: {error}", field="content") from None
    kind = data.get("format") if isinstance(data, dict) else None
    if kind == "sun-crumb-recipe":
        if data.get("version") != 1:
            raise UnreadableFileError(f"{name} comes from a newer Sun Crumb", field="content")
        return Incoming(recipe=data)
    if kind == "sun-crumb-backup":
        raise UnreadableFileError(
            f"{name} is the backup of a whole household: bring it back under Recipes, or with sun-crumb restore",
            field="content",
        )
    found = recipe_of(data)
    if found is None:
        raise UnreadableFileError(f"{name} holds no schema.org Recipe", field="content")
    return Incoming(whole(_text(name, found)))


def _from_page(name: str, page: str) -> str:
    try:
        found = recipe_in_page(page)
        words = "" if found else words_of_page(page)
    except PageTooWildError as error:
        raise UnreadableFileError(f"{name} can't be read: {error}", field="content") from None
    if found is not None:
        return _text(name, found)
    if not re.search(r"\d", words):
        raise UnreadableFileError(f"{name} holds no recipe: nothing in it is measured", field="content")
    return words


def _text(name: str, found: dict[str, Any]) -> str:
    text = recipe_text(found)
    if text is None:
        raise UnreadableFileError(f"{name} holds a recipe without ingredients", field="content")
    return text


def _from_csv(name: str, content: str) -> str:
    """Return recipe text of a table whose columns are named: ingredient or name, and grams, or amount and unit."""
    # A reader of csv stops at a lone CR; line ends of every kind are one here.
    content = content.replace("\r\n", "\n").replace("\r", "\n")
    first = content.split("\n", 1)[0]
    delimiter = max(",;\t", key=first.count)
    try:
        table = csv.DictReader(io.StringIO(content), delimiter=delimiter)
        rows: list[dict[str, str]] = []
        for row in table:
            if len(rows) == MOST_ROWS:
                raise UnreadableFileError(f"{name} has more than {MOST_ROWS:,} rows", field="content")
            rows.append(
                {(k or "").strip().lower(): (v or "").strip() for k, v in row.items() if not isinstance(v, list)}
            )
    except csv.Error as error:
        raise UnreadableFileError(f"{name} is no whole table: {error}", field="content") from None
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
