"""A list with its method beside it, each line of the text holding a food on the left and a piece of a step on the right."""

from __future__ import annotations

import re
from dataclasses import replace
from itertools import groupby

from sun_crumb.core.reading.food_ends import is_food_with_amount
from sun_crumb.core.reading.headings import heading_kind
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.physical import Statement, bare_line
from sun_crumb.core.reading.tables import GAP

# So many rows that hold a food on the left are a list beside a method.
LEAST_ROWS = 3


def method_beside(found: list[Statement]) -> list[Statement]:
    """Return statements with the method that stands beside the list behind it: "Ingredients:        Directions:" over both.

    The lines of the list keep their numbers, and so do those of the method: each line of the text has both.
    """
    head, beside = next(((s.line, name) for s in found if (name := _heading_beside(s))), (None, ""))
    if head is None:
        return found
    at = head.raw.index(beside)
    before: list[Statement] = []
    left: list[Statement] = []
    right: list[Statement] = []
    behind: list[Statement] = []
    rows = 0
    for line, group in groupby(found, key=lambda s: s.line):
        if line.number < head.number:
            before += group
        elif behind or (line.gap and not _cut_at(line.raw, at)[1]):
            behind += group
        else:
            statement = next(group)
            one, two = _cut_at(line.raw, at)
            rows += is_food_with_amount(clean(one))
            left += _told(statement, one)
            right += _told(statement, two)
    return [*before, *left, *right, *behind] if rows >= LEAST_ROWS else found


def _told(statement: Statement, cell: str) -> list[Statement]:
    raw = bare_line(cell)
    return [replace(statement, raw=raw, text=clean(raw))] if clean(raw) else []


def _cut_at(raw: str, at: int) -> tuple[str, str]:
    """Return a line's left and right cell, divided by the wide gap that ends nearest where the right heading stands."""
    if "|" in raw:
        one, _, two = raw.partition("|")
        return one.strip(), two.strip()
    gaps = [gap for gap in GAP.finditer(raw) if abs(gap.end() - at) <= FAR]
    if not gaps:
        return (raw, "") if raw.strip() else ("", "")
    gap = min(gaps, key=lambda one: abs(one.end() - at))
    return raw[: gap.start()], raw[gap.end() :]


# How far from its heading a piece of the method may begin [characters].
FAR = 6


def _heading_beside(statement: Statement) -> str:
    """Return the right one of the two headings of a line that says that a list stands on the left and its method on the right."""
    raw = statement.line.raw
    cells = [cell.strip() for cell in (raw.split("|") if "|" in raw else GAP.split(raw)) if cell.strip()]
    # "Ingredients (makes 24)        What to do"
    if len(cells) != 2 or re.search(r"\d", re.sub(r"\([^()]*\)", "", statement.line.raw)):
        return ""
    is_list = heading_kind(cells[0]) == "ingredients"
    return cells[1] if is_list and heading_kind(cells[1]) == "method" else ""
