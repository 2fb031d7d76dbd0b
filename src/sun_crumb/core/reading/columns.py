"""Two lists that stand side by side in a text, each under its heading: taken one after the other."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.physical import GAP, Statement, bare_line
from sun_crumb.core.reading.run_on import is_food_with_amount

# So many rows with a food on both sides are two lists; a heading has so few words.
LEAST_ROWS, MOST_WORDS = 2, 3
_HEADING = re.compile(r"[^\W\d_][\w' &-]{1,24}:?")


def in_columns(found: list[Statement]) -> list[Statement]:
    """Return statements with two lists side by side one after the other: the left heading and its foods, then the right one and its own."""
    result: list[Statement] = []
    at = 0
    while at < len(found):
        rows = _rows(found, at + 1) if _heads_of(found[at]) else []
        if sum(len(row) == 2 for row in rows) < LEAST_ROWS:
            result.append(found[at])
            at += 1
            continue
        result += _one_after_the_other(found[at], rows)
        at += 1 + sum(len(row) for row in rows)
    return result


def _rows(found: list[Statement], at: int) -> list[list[Statement]]:
    """Return the rows of one or two foods that follow."""
    rows: list[list[Statement]] = []
    while at < len(found):
        row = [s for s in found[at : at + 3] if s.line == found[at].line]
        if len(row) > 2 or not all(is_food_with_amount(s.text) for s in row):
            break
        rows.append(row)
        at += len(row)
    return rows


def _one_after_the_other(head: Statement, rows: list[list[Statement]]) -> list[Statement]:
    left, right = ([replace(head, raw=name, text=clean(name))] for name in _heads_of(head))
    # A food alone in its row stands on the left, or on the right where it is set in half as far as the heading there.
    far_in = head.line.raw.rindex(right[0].raw) // 2
    for row in rows:
        indent = len(row[0].line.raw) - len(row[0].line.raw.lstrip())
        (right if len(row) == 1 and indent >= far_in else left).append(row[0])
        right += row[1:]
    return left + right


def _heads_of(statement: Statement) -> list[str]:
    """Return the two headings that stand side by side in a line with a wide gap; none where it tells something else."""
    if statement.raw != bare_line(statement.line.raw):
        return []
    cells = [cell.strip() for cell in GAP.split(statement.line.raw.strip()) if cell.strip()]
    is_heading = all(_HEADING.fullmatch(cell) and len(cell.split()) <= MOST_WORDS for cell in cells)
    return cells if len(cells) == 2 and is_heading else []
