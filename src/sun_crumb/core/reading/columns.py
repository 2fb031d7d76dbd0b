"""Two lists that stand side by side in a text, each under its heading: taken one after the other."""

from __future__ import annotations

import re
from dataclasses import replace
from itertools import groupby

from sun_crumb.core.reading.food_ends import is_food_with_amount
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.physical import Statement, bare_line
from sun_crumb.core.reading.tables import GAP

# So many rows with a food on both sides are two lists; a heading has so few words.
LEAST_ROWS, MOST_WORDS = 2, 3
# "zest of 2 limes": a food too, its number behind.
_OF_FRUIT = re.compile(
    r"(?:finely |grated )*(?:zest|rind|juice|seeds)\s+(?:of|from)\s+(?:\d|½|an?\b|one\b|two\b)", re.I
)
_DIVIDED = re.compile(rf"{GAP.pattern}\|?\s*|\s*\|\s+")
_HEADING = re.compile(r"[^\W\d_][\w' &/-]{1,24}:?")


def in_columns(found: list[Statement]) -> list[Statement]:
    """Return statements with two lists side by side one after the other: the left headings with their foods, then the right ones."""
    result: list[Statement] = []
    lines = [list(group) for _, group in groupby(found, key=lambda statement: statement.line.number)]
    at = 0
    while at < len(lines):
        rows = _rows(lines, at + 1) if _heads_of(lines[at]) else []
        if sum(len(cells) == 2 and all(map(is_food_with_amount, cells)) for _, cells in rows) < LEAST_ROWS:
            result += lines[at]
            at += 1
            continue
        result += _one_after_the_other(lines[at], rows)
        at += 1 + len(rows)
    return result


_Row = tuple[list[Statement], list[str]]


def _rows(lines: list[list[Statement]], at: int) -> list[_Row]:
    """Return the rows of one or two foods that follow, each with its cells; beside a food also the heading of the next list."""
    rows: list[_Row] = []
    for row in lines[at:]:
        cells = _cells(row[0])
        foods = [is_food_with_amount(clean(cell)) for cell in cells]
        is_row = all(
            food or _is_heading(cell) or _OF_FRUIT.match(cell) for food, cell in zip(foods, cells, strict=True)
        )
        if len(cells) > 2 or not is_row or not any(foods):
            break
        rows.append((row, cells))
    return rows


def _one_after_the_other(head: list[Statement], rows: list[_Row]) -> list[Statement]:
    left, right = ([replace(head[0], raw=name, text=clean(name))] for name in _heads_of(head))
    # A food alone in its row stands on the left, or on the right where it is set in half as far as the heading there.
    far_in = head[0].line.raw.rindex(right[0].raw) // 2
    for row, cells in rows:
        first, *second = [_cell(row[0], cell) for cell in cells]
        raw = row[0].line.raw
        (right if not second and len(raw) - len(raw.lstrip()) >= far_in else left).append(first)
        right += second
    return left + right


def _cell(row: Statement, cell: str) -> Statement:
    """Return a cell as a statement of its row; what heads the next list is said to."""
    is_heading = _is_heading(cell) and not is_food_with_amount(clean(cell)) and not cell.endswith(":")
    return replace(row, raw=f"{cell}:" if is_heading else cell, text=clean(cell))


def _cells(statement: Statement) -> list[str]:
    # "Crumbs  |  Sauce": a bar may divide two lists as a gap does
    return [cell.strip() for cell in _DIVIDED.split(bare_line(statement.line.raw)) if cell.strip()]


def _is_heading(cell: str) -> bool:
    return bool(_HEADING.fullmatch(cell)) and len(cell.replace("/", " ").split()) <= MOST_WORDS


def _heads_of(line: list[Statement]) -> list[str]:
    """Return the two headings that stand side by side in a line with a wide gap; none where it tells something else."""
    cells = _cells(line[0])
    return cells if len(cells) == 2 and all(map(_is_heading, cells)) else []
