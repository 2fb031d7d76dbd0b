"""Prose whose lines were broken where the page ended: each line goes on with the one above it."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Iterator, Sequence

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.physical import SENT_AT, Statement
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.run_on import first_word
from sun_crumb.core.reading.words import word_list

# The longest line of wrapped prose has so many characters, and a line that is broken is nearly as long.
LEAST_WIDTH, LEAST_SHARE = 36, 0.72
_STOPS = re.compile(r"(?<!oz)(?<!lb)(?<!tsp)(?<!tbsp)(?<!\d[gGcC])[.!?:;][\"'”’)]?\s*$")
_ITEM = re.compile(r"\s*(?:[-–—•*●○▢□☐✓·▪>+#]|\d{1,2}\s*[.):]|\(?[a-z]\)|step\b)", re.I)
_BREAKS_OFF = re.compile(r"\b(?:in|with|and|to|of|for|at|about|from|add|than|or|by|over|until|another|gas|mark)$", re.I)
_SENTENCE = re.compile(r"[a-z]{3}[.!?]\s+[A-Z]|^[A-Z][a-z]+\s+(?:the|a|an|in|over|with|until|for)\b")


def wrapped(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that go on with the line above them, by their numbers, where a text is prose that a page has broken.

    A block is such prose where it begins with no amount and tells sentences or what is done, and its lines fill the width.
    """
    lines: dict[int, Role] = {}
    for block in _blocks(found):
        texts = [statement.line.raw.strip() for statement in block]
        width = max(map(len, texts))
        if width < LEAST_WIDTH or read_amount(block[0].text) or not _is_prose(texts):
            continue
        for before, text, statement in zip(texts, texts[1:], block[1:], strict=False):
            is_full = len(before) >= LEAST_SHARE * width and not _STOPS.search(before)
            goes_on = text[:1].islower() or before.endswith("-")
            # "... and stir in" and "2 eggs", below no food of a list
            counts = text[:1].isdigit() and _BREAKS_OFF.search(before) and read_amount(before) is None
            if is_full and not _ITEM.match(text) and (goes_on or counts):
                lines[statement.line.number] = "continuation"
    return lines


def _is_prose(texts: list[str]) -> bool:
    told = [t for t in texts if _SENTENCE.search(t)]
    return bool(told) or first_word(texts[0]) in word_list("verb") - word_list("deed_food")


def _blocks(found: Sequence[Statement]) -> Iterator[list[Statement]]:
    """Give the lines that follow each other without an empty one, each a statement by itself; one that is marked as an item begins anew."""
    several = Counter(statement.line.number for statement in found)
    block: list[Statement] = []
    for statement in found:
        begins = not block or statement.line.number != block[-1].line.number + 1 or _ITEM.match(statement.line.raw)
        is_alone = several[statement.line.number] == 1 and not SENT_AT.match(statement.line.raw)
        if begins or not is_alone:
            if len(block) > 1:
                yield block
            block = []
        if is_alone:
            block.append(statement)
    if len(block) > 1:
        yield block
