"""The head of a table and what it says of the rows below: which cell is in grams, which names the part, which two tell the same twice."""

from __future__ import annotations

import csv
import re
from dataclasses import dataclass

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.words import word_list

GAP = re.compile(r"\s{3,}")
# No row of a table is longer [characters], and none has fewer cells [1].
LONGEST_ROW, LEAST_CELLS = 300, 2


@dataclass(frozen=True, slots=True)
class Head:
    """What the columns of a table are: the cell whose bare numbers are in ``unit``, the cell that names the part (none: -1), and whether two
    cells tell the same food in two systems of measures."""

    unit_at: int = -1
    unit: str = ""
    part_at: int = -1
    is_twice: bool = False


def columns_of(head: str) -> int:
    """Return how many cells a row has by the head of its table, where that names its columns with commas or semicolons between: "Ingredient,Amount,Unit"; else 0."""
    words = set(re.findall(r"[a-z]+", head.lower())) if len(head) <= LONGEST_ROW else {"long"}
    mark = ";" if ";" in head else ","
    return head.count(mark) + 1 if mark in head and words <= word_list("table_head") | _PARTS else 0


def is_row(raw: str, columns: int) -> bool:
    """Return whether a line is a row of a table with so many cells, divided by commas or semicolons."""
    return columns > 0 and len(raw) <= LONGEST_ROW and len(row_of(raw)) >= columns


def row_of(raw: str) -> list[str]:
    """Return the cells of a row that semicolons divide, or else commas."""
    return next(csv.reader([raw], delimiter=";" if ";" in raw else ","), [])


def head_of(raw: str) -> Head | None:
    """Return what a line says of the columns below it ("Ingredient | Weight (g)", "Part | What | How much"); None where it is no such head."""
    cells = _cells(raw) if 0 < len(raw) <= LONGEST_ROW else []
    if len(cells) < LEAST_CELLS or re.search(r"\d", raw):
        return None
    words = [re.findall(r"[a-z]+", cell.lower()) for cell in cells]
    if not all(told and set(told) <= word_list("table_head") | _SYSTEMS | _PARTS for told in words):
        return None
    if len(words) == len([told for told in words if _SYSTEMS & set(told)]) == TWO_SYSTEMS:
        return Head(is_twice=True)
    units = [(at, _UNITS[told[-1]]) for at, told in enumerate(words) if told[-1] in _UNITS]
    parts = [at for at, told in enumerate(words) if len(told) == 1 and told[0] in _PARTS]
    at, unit = units[0] if len(units) == 1 else (-1, "")
    part_at = parts[0] if len(parts) == 1 and len(words) > LEAST_CELLS else -1
    return Head(at, unit, part_at) if unit or part_at >= 0 else None


def plain_row(raw: str, head: Head) -> tuple[str, str]:
    """Return the part that a row names, where it does, and the row with what its head says written out: the unit behind a bare number."""
    if head.is_twice:
        return "", _told_once(raw)
    cells = [cell.strip() for cell in _cells(raw)]
    if len(cells) <= max(head.unit_at, head.part_at):
        return "", raw
    part = cells[head.part_at] if head.part_at >= 0 else ""
    is_bare = bool(head.unit) and _BARE_NUMBER.fullmatch(cells[head.unit_at]) is not None
    if not is_bare and head.part_at < 0:
        return "", raw
    if is_bare:
        cells[head.unit_at] += f" {head.unit}"
    is_named = re.fullmatch(r"[^\W\d_][^\d|]{1,30}", part) is not None
    return (f"{part}:" if is_named else ""), "|".join(cell for at, cell in enumerate(cells) if at != head.part_at)


def _told_once(raw: str) -> str:
    """Return a row that tells a food in two systems of measures as one statement: "1 cup sugar || 200 g sugar" as "200 g / 1 cup sugar"."""
    cells = [cell.strip() for cell in _cells(raw) if cell.strip()]
    if len(cells) != TWO_SYSTEMS:
        return raw
    amounts = [read_amount(clean(cell)) for cell in cells]
    one, two = (
        clean(cell)[found[1] :].strip() if found else clean(cell) for cell, found in zip(cells, amounts, strict=True)
    )
    if cells[0] == cells[1] or not all(amounts) or one.split()[-1:] != two.split()[-1:]:
        return cells[1] if one == two or one.split()[-1:] == two.split()[-1:] else raw
    first, second = (clean(cell)[: found[1]].strip() for cell, found in zip(cells, amounts, strict=True) if found)
    weighed, other = (second, first) if re.search(r"\d\s*(?:g|kg|ml)\b", second) else (first, second)
    return f"{weighed} / {other} {two}"


def _cells(raw: str) -> list[str]:
    """Return the cells of a row that bars, tabs, semicolons, commas or wide gaps divide."""
    text = raw.strip().strip("|")
    for mark in ("||", "|", "\t", ";", ","):
        if mark in text:
            return text.split(mark)
    return GAP.split(text)


# What the two columns of a table in two systems of measures are called, and one that names the part.
_SYSTEMS = frozenset({"us", "metric", "imperial", "american", "cups", "grams", "european", "uk"})
_PARTS = frozenset({"part", "component", "section", "layer", "stage", "step"})
TWO_SYSTEMS = 2
_BARE_NUMBER = re.compile(r"\d+(?:[.,]\d+)?")
_UNITS = {
    "g": "g", "gr": "g", "gram": "g", "grams": "g", "gramme": "g", "grammes": "g", "ml": "ml", "oz": "oz", "ounces": "oz"
}  # fmt: skip
