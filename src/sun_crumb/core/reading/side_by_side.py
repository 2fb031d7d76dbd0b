"""Columns that stand side by side, put as a reader of one list needs them: two lists that dots lead between, and the same list for several batches."""

from __future__ import annotations

import re

from sun_crumb.core.reading.food_ends import begins_food

# So many rows that hold a food on either side of the dots are two lists, and no list of names and amounts (judgement).
LEAST_ROWS = 2
# "150 g rice ........ 500 g plums"
_LED = re.compile(r"\s*(?P<left>\S.*?)\s*(?:\.{4,}|(?:\. ){4,}|_{4,})\s*(?P<right>\S.*?)\s*")
# Blanks between two columns [characters].
GAP = 4


def led_apart(rows: list[str]) -> list[str]:
    """Return lines with blanks for the dots that lead from one list to another beside it: "150 g rice ........ 500 g plums" under "PUDDING ....... COMPOTE"."""
    found = [_LED.fullmatch(row) for row in rows]
    both = sum(one is not None and begins_food(one["left"]) and begins_food(one["right"]) for one in found)
    if both < LEAST_ROWS:
        return rows
    width = max(len(one["left"]) for one in found if one) + GAP
    return [one["left"].ljust(width) + one["right"] if one else row for row, one in zip(rows, found, strict=True)]


# "             x1 (16)      x3 (48)"
_SCALES = re.compile(
    r"\s*(?:ingredients?\s+)?(?:x\s?1|1\s?x|single(?: batch)?|one batch|1 batch)\s*(?:\(\s*(?:makes\s+)?(?P<count>\d{1,3})\s*\))?(?:\s{2,}|\s*[|\t/]\s*)(?:x\s?\d|\d\s?x|double|triple|two|three|\d batches).*",
    re.I,
)
_CELLS = re.compile(r"\s{2,}|\s*[|\t]\s*")
_AMOUNT = re.compile(r"[\d½¼¾⅓⅔][\d½¼¾⅓⅔./ ]*\s*[a-z]{0,12}\.?", re.I)


def of_one_batch(rows: list[str]) -> list[str]:
    """Return lines with the first of several amounts, where a table tells them for one batch and for more: "oats   250 g   750 g" under "x1 (16)   x3 (48)"."""
    head = next((n for n, row in enumerate(rows) if _SCALES.fullmatch(row)), None)
    if head is None:
        return rows
    count = _SCALES.fullmatch(rows[head])["count"]  # type: ignore[index]
    told = [f"Makes {count}" if count else "", *map(_first_amount, rows[head + 1 :])]
    return [*rows[:head], *told]


def _first_amount(row: str) -> str:
    cells = [cell for cell in _CELLS.split(row.strip(" |")) if cell]
    is_row = len(cells) > 2 and all(_AMOUNT.fullmatch(cell) for cell in cells[1:])
    return f"{cells[0]}   {cells[1]}" if is_row else row


# "Crumb:\tginger biscuits\t120 g", and "\tbutter\t50 g" below it
_PART_CELL = re.compile(
    r"(?P<part>[A-Z][^\W\d_]*(?: [^\W\d_]+){0,2}):\t+(?P<name>[^\t\d][^\t]*)\t+(?P<amount>[\d½¼¾⅓⅔][^\t]{0,16})\s*"
)


def in_part_cells(rows: list[str]) -> list[str]:
    """Return the rows of a table whose first column names a part once, each with its first food as a line tells both: "Crumb:   ginger biscuits   120 g" as "Crumb: 120 g ginger biscuits"."""
    found = [_PART_CELL.fullmatch(row) for row in rows]
    if not any(row.startswith("\t") for row in rows):
        return rows
    return [
        f"{one['part']}: {one['amount'].strip()} {one['name'].strip()}" if one else row
        for row, one in zip(rows, found, strict=True)
    ]
