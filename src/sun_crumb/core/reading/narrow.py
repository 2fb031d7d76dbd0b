"""A text that a narrow page has broken: which of its lines only go on because the next word had no room."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Sequence
from itertools import pairwise

from sun_crumb.core.reading.food_ends import AMOUNT_BEHIND, begins_food
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.records import Role

# A page is narrow up to so many characters, and broken where so many of its lines go on because there was no room (judgement).
WIDEST, LEAST_BROKEN = 60, 3
_GOES_ON = re.compile(r"[a-zà-ÿ(]")
_ITEM = re.compile(r"\(?(?:[a-z]\)|step\b|optional\b)", re.I)


def broken_by_the_page(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines of a narrow page that go on with the line above, by their numbers.

    A line goes on where it begins in small letters and its first word had no room above: "1/2 cup (113 grams) unsalted" and "butter, melted".
    """
    several = Counter(statement.line.number for statement in found)
    alone = [statement for statement in found if several[statement.line.number] == 1]
    width = max((len(statement.line.raw.rstrip()) for statement in alone), default=0)
    if not 0 < width <= WIDEST:
        return {}
    letters = [text for statement in alone if (text := statement.line.raw.strip())[:1].isalpha()]
    if sum(text[:1].islower() for text in letters) > MOST_SMALL * len(letters):
        return {}  # a hand that writes no capitals
    goes_on = [after.line.number for before, after in pairwise(found) if _goes_on(before, after, width, several)]
    return dict.fromkeys(goes_on, "continuation") if len(goes_on) >= LEAST_BROKEN else {}


# Where more of the lines that begin with a letter begin with a small one, that tells nothing (judgement).
MOST_SMALL = 0.9


def _goes_on(before: Statement, after: Statement, width: int, several: Counter[int]) -> bool:
    """Return whether the first word of a line in small letters had no room above, and the line is no item of a list."""
    text = after.line.raw.strip()
    is_next = after.line.number == before.line.number + 1 and several[before.line.number] == several[after.line.number] == 1
    if not is_next or not _GOES_ON.match(text) or _ITEM.match(text):
        return False
    had_room = len(before.line.raw.rstrip()) + 1 + len(text.split()[0]) <= width
    return not had_room and not begins_food(text) and not AMOUNT_BEHIND.match(text)
