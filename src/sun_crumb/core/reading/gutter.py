"""Two columns of a text that a gutter, a bar or a tab divides: two lists, or a list with its method beside it, taken one after the other."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from functools import partial

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.food_ends import begins_food, first_word, is_food_with_amount
from sun_crumb.core.reading.headings import heading_kind, names_a_part
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.physical import Physical
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.words import word_list

# So many rows that hold both are two columns; such a share of a column's cells are foods, or amounts alone (judgement).
LEAST_ROWS, MOST_FOODS, SOME_FOODS = 3, 0.5, 0.34
# A column of a method has so many words in a row, taken together (judgement).
LEAST_WORDS = 3.0
# The columns that a text this wide may have are not looked for in a longer line [characters].
LONGEST = 400
_GAP = re.compile(r"(?<=\S) {2,}(?=\S)")
_NUMBERED = re.compile(r"^\s*(?:step\s+)?\d{1,2}\s*[.):]\s+(?=\S)", re.I)


@dataclass(frozen=True, slots=True)
class _Row:
    line: Physical
    left: str
    right: str


def columns_apart(lines: Sequence[Physical]) -> list[Physical]:
    """Return lines with each block of two columns as its left column and then its right one; all keep the numbers of their lines.

    A list goes before the method that stands beside it, on whichever side; what a table tells of one food in its cells is left alone.
    """
    found: list[Physical] = []
    at = 0
    # Where a block that a sign or a gutter divides was found to be no two columns: its end, so that no line of it is tried again.
    barren: dict[str | int, int] = {}
    while at < len(lines):
        told: list[Physical] = []
        many = 1
        for mark, rows in _blocks(lines, at, barren):
            if told := _taken_apart(rows):
                many = len(rows)
                break
            if _may_be(rows):
                barren[mark] = at + len(rows)
        found += told or [lines[at]]
        at += many
    return found


def _blocks(
    lines: Sequence[Physical], at: int, barren: Mapping[str | int, int]
) -> Iterator[tuple[str | int, list[_Row]]]:
    """Give the rows of each two columns that may begin with a line, the likeliest first, each with the sign or the column that divides them."""
    raw = lines[at].raw
    if not raw.strip() or len(raw) > LONGEST:
        return
    for sign in ("|", "\t"):
        if _parted(raw, sign):
            if barren.get(sign, 0) <= at:
                yield sign, _run(lines, at, partial(_parted, sign=sign))
            return
    own = [x for gap in _GAP.finditer(raw) if barren.get(x := gap.end(), 0) <= at]
    if not own:
        return
    counted: Counter[int] = Counter()
    for line in lines[at : at + MOST_ROWS]:
        if len(line.raw) > LONGEST:
            break
        counted.update({gap.end() for gap in _GAP.finditer(line.raw)})
    for x in sorted(own, key=lambda end: -counted[end])[:MOST_TRIED]:
        yield x, _run(lines, at, partial(_cut, x=x))


# So many of a line's gaps are tried as a gutter.
MOST_TRIED = 3
# A block of two columns has no more rows.
MOST_ROWS = 60


def _run(lines: Sequence[Physical], at: int, cut: Callable[[str], tuple[str, str] | None]) -> list[_Row]:
    rows: list[_Row] = []
    for line in lines[at : at + MOST_ROWS]:
        if not line.raw.strip():
            rows.append(_Row(line, "", ""))
            continue
        cells = cut(line.raw)
        if cells is None:
            break
        if rows and not rows[-1].line.raw.strip() and not cells[1]:
            break  # below an empty line, and in no column: the text goes on
        rows.append(_Row(line, *cells))
    while rows and not rows[-1].line.raw.strip():
        rows.pop()
    return rows


def _may_be(rows: Sequence[_Row]) -> bool:
    """Return whether a block has a row with both columns, and does not begin with a name and how many it makes."""
    gap = next((n for n, row in enumerate(rows) if not row.line.raw.strip()), 0)
    above = [cell for row in rows[:gap] for cell in (row.left, row.right) if cell]
    if gap and not _foods(above) and not any(map(heading_kind, above)):
        return False  # "Plum cake            serves 12", above an empty line
    return any(row.left and row.right for row in rows)


def _parted(raw: str, sign: str) -> tuple[str, str] | None:
    if raw.count(sign) != 1 or len(raw) > LONGEST:
        return None
    left, right = raw.split(sign)
    return (left.strip(), right.strip()) if left.strip() or right.strip() else None


def _cut(raw: str, x: int) -> tuple[str, str] | None:
    """Return a line cut where its right column begins, or near; None where something stands across it."""
    if len(raw) > LONGEST:
        return None
    if not raw[: x - FAR].strip():
        return "", raw.strip()
    gaps = [gap for gap in _GAP.finditer(raw) if abs(gap.end() - x) <= FAR]
    if gaps:
        gap = min(gaps, key=lambda one: abs(one.end() - x))
        return raw[: gap.start()].strip(), raw[gap.end() :].strip()
    left, right = raw[:x], raw[x:]
    if left.endswith(" ") and right[:1].strip() and begins_food(clean(left)) and begins_food(clean(right)):
        return left.strip(), right.strip()  # a long cell leaves but one blank before the right column
    return (raw.strip(), "") if len(raw.rstrip()) <= x else None


# How far from the others a cell of the right column may begin [characters].
FAR = 3


def _taken_apart(rows: list[_Row]) -> list[Physical]:
    if not _may_be(rows):
        return []
    left = [row.left for row in rows if row.left]
    right = [row.right for row in rows if row.right]
    if _alone(left) >= MOST_FOODS or _alone(right) >= MOST_FOODS:
        return []  # "Butter      150 g": a table
    foods = _foods(left), _foods(right)
    both = sum(bool(row.left and row.right) for row in rows)
    if both < LEAST_ROWS and not (foods[0] >= MOST_FOODS and len(left) >= LEAST_ROWS and _begins_deed(right)):
        return []
    if min(foods) >= MOST_FOODS or (max(foods) >= MOST_FOODS and _are_named(left) and min(foods) > SOME_FOODS):
        return [*_as_list(rows, 0), *_as_list(rows, 1)]
    if foods[0] >= MOST_FOODS and foods[1] <= SOME_FOODS and _is_prose(right):
        return [*_as_list(rows, 0), *_as_prose(rows, 1)]
    if foods[1] >= MOST_FOODS and foods[0] <= SOME_FOODS and _is_prose(left):
        return [*_as_list(rows, 1), *_as_prose(rows, 0)]
    return []


def _cell(row: _Row, side: int) -> str:
    return row.right if side else row.left


def _as_list(rows: Sequence[_Row], side: int) -> list[Physical]:
    cells = [_cell(row, side) for row in rows]
    is_shouted = 2 * sum(cell.isupper() for cell in cells) > sum(bool(cell) for cell in cells)
    last = max(n for n, cell in enumerate(cells) if cell)
    return [
        replace(
            row.line,
            raw=_headed(cell, is_shouted=is_shouted, is_apart=not n or not cells[n - 1]) if n < last else cell,
            is_first=row.line.is_first and not side,
        )
        for n, (row, cell) in enumerate(zip(rows, cells, strict=True))
        if cell or not row.line.raw.strip()
    ]


def _headed(cell: str, *, is_shouted: bool, is_apart: bool) -> str:
    """Return a cell, with a colon where it names what stands below it: few words, in capitals or known for a part."""
    bare = cell.strip(" :.-–—~*#")
    words = re.findall(r"[^\W\d_]+", bare)
    is_name = 1 <= len(words) <= MOST_NAME and not re.search(r"\d", bare)
    is_part = (cell.isupper() and not is_shouted) or (
        names_a_part(bare) and not re.search(r"\b(?:for|to) \w+ing\b", bare)
    )
    is_part |= is_apart and len(words) < MOST_NAME and bare[:1].isupper()  # "Fruit", below an empty row
    return f"{bare}:" if is_name and is_part and not begins_food(clean(cell)) else cell


MOST_NAME = 4


def _as_prose(rows: Sequence[_Row], side: int) -> list[Physical]:
    """Return what a column tells as lines: broken sentences whole again, each numbered step a line."""
    told: list[Physical] = []
    is_open = False
    cells = [cell for row in rows if (cell := _cell(row, side))]
    begun = [cell for cell in cells if cell[:1].isupper() and first_word(cell) in word_list("verb")]
    led = [cell for cell in cells if cell[:1].isalpha()]
    # each row a step, and no sentence that goes on
    are_steps = len(begun) > MOST_FOODS * len(cells)
    are_small = sum(first_word(cell) in word_list("verb") for cell in led) > MOST_DEEDS * len(led)
    for row in rows:
        cell = _cell(row, side)
        if not cell:
            continue
        if heading_kind(cell) or (cell.endswith(":") and len(cell.split()) <= 3):
            told.append(replace(row.line, raw=cell, gap=False, is_first=False))
            is_open = False
        elif (
            not is_open
            or _NUMBERED.match(cell)
            or (are_steps and cell[:1].isupper())
            or are_small
            or len(told[-1].raw) > LONGEST_STEP
        ):
            told.append(replace(row.line, raw=cell, gap=not is_open, is_first=False, role="step"))
            is_open = True
        else:
            before = told[-1].raw
            told[-1] = replace(
                told[-1],
                raw=f"{before[:-1]}{cell}"
                if re.search(r"[a-z]-$", before) and cell[0].islower()
                else f"{before} {cell}",
            )
    return told


# Where more of the rows that begin with a word begin with a deed, each is a step (judgement).
MOST_DEEDS = 0.7
# A step that has grown so long ends at its next line [characters].
LONGEST_STEP = 2_000


def _foods(cells: Sequence[str]) -> float:
    """Return which share of cells are foods with an amount, headings left aside."""
    told = [clean(cell) for cell in cells]
    told = [cell for cell in told if cell and not (heading_kind(cell) or cell.endswith(":") or statements(cell))]
    foods = sum(
        begins_food(cell)
        or (is_food_with_amount(cell) and len(cell.split()) <= LONGEST_FOOD)
        or _BEHIND.match(cell) is not None
        or _SO_MANY.fullmatch(cell) is not None
        for cell in told
    )
    return foods / max(1, len(told))


LONGEST_FOOD = 9
# "4 cloves", "strip of orange peel"
_SO_MANY = re.compile(
    r"\d{1,2}\s[a-z]{3,}(?<!mins)(?<!hours)(?<!minutes)|(?:strip|zest|juice|pinch|handful|knob|sprig)\s(?:of\s)?[a-z ]{3,24}",
    re.I,
)
_BEHIND = re.compile(
    r"[^\W\d_][^\d.;]{1,36}[\s:.–—-]+(?:[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔]*|half|quarter)\s*(?:g|kg|ml|l|dl|oz|lbs?|cups?|c|tsps?|tbsps?|t|gms?|tins?|cans?|packets?|sticks?|large|small|leaves)?\b\.?(?:\s*\([^()]*\))?(?:,\s[a-z ]+)?$"
    r"|[^\W\d_][^\d.;]{1,30}\s(?:a\s+)?(?:pinch|to taste|handful)$|[^\W\d_][^\d.;()]{1,30}\s?\(\d[^()]{0,12}\)(?:,\s[a-z ]+)?$|[^\W\d_][^\d.;()]{1,24}[\s–-]+(?:for|to) (?:garnish|serve|dust|dusting|decorate|finish)$",
    re.I,
)


def _alone(cells: Sequence[str]) -> float:
    """Return which share of cells are amounts alone."""
    amounts = 0
    for cell in cells:
        told = read_amount(clean(cell))
        amounts += told is not None and not re.search(r"[^\W\d_]{3,}", clean(cell)[told[1] :])
    return amounts / max(1, len(cells))


def _are_named(cells: Sequence[str]) -> bool:
    return bool(cells) and bool(heading_kind(cells[0]) or cells[0].isupper() or cells[0].endswith(":"))


def _begins_deed(cells: Sequence[str]) -> bool:
    """Return whether a column begins with what is done, in several words: "Bake at 150 C for 2 hours"."""
    if not cells:
        return False
    is_deed = (
        first_word(cells[0]) in word_list("verb")
        or heading_kind(cells[0]) == "method"
        or _OVEN.match(cells[0]) is not None
    )
    return is_deed and len(cells[0].split()) >= LEAST_WORDS and not begins_food(clean(cells[0]))


_OVEN = re.compile(r"\W*(?:oven\b|preheat|four\s*:|\d{3}\s*(?:°|[CF]\b|fan))", re.I)


def _is_prose(cells: Sequence[str]) -> bool:
    """Return whether a column tells what is done: some words in each row, one of them for a deed."""
    words = [word.lower() for cell in cells for word in re.findall(r"[^\W\d_]+", cell)]
    is_told = any(word in word_list("verb") for word in words) or _OVEN.match(cells[0]) is not None
    return len(words) >= LEAST_WORDS * len(cells) and is_told
