"""Prose whose lines were broken where the page ended: each line goes on with the one above it."""

from __future__ import annotations

import functools
import itertools
import re
from collections import Counter
from collections.abc import Iterator, Sequence
from dataclasses import replace

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.bare_lines import SENT_AT
from sun_crumb.core.reading.food_ends import LEAST_FOODS, begins_food, first_word, foods_apart
from sun_crumb.core.reading.items import ends_with_amount
from sun_crumb.core.reading.line import BULLETS
from sun_crumb.core.reading.narrow import rejoined
from sun_crumb.core.reading.physical import Physical, Statement
from sun_crumb.core.reading.portion_asides import bare_count
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.run_on import run_on
from sun_crumb.core.reading.tables import GAP
from sun_crumb.core.reading.words import word_list

# The longest line of wrapped prose has so many characters, of a narrow column fewer where half of its lines begin small; a line that is broken is nearly as long.
LEAST_WIDTH, LEAST_NARROW, LEAST_SHARE = 36, 20, 0.72
_STOPS = re.compile(r"(?<!oz)(?<!lb)(?<!tsp)(?<!tbsp)[.!?:;][\"'”’)]?\s*$")
_ITEM = re.compile(rf"\s*(?:[{BULLETS}#]|\d{{1,2}}\s*[.):]|\(?[a-z]\)|step\b)", re.I)
_DONE = re.compile(r"\b(?:then|until|whisk|fold|stir|melt(?:ed)?|beat|mix|bake|add)\b", re.I)
_AWAITS_AMOUNT = re.compile(
    r"\b(?:in|with|and|to|of|for|at|about|from|add|than|or|by|over|until|another|gas|mark)$", re.I
)
# "icing sugar — 120 g", also behind other foods of the line: "500 g quark, icing sugar 120 g"
_AMOUNT_LAST = re.compile(
    r"\s[-–—:.]*\s*\d+(?:[.,/]\d+)?\s*(?:g|kg|ml|l|oz|lbs?|cups?|c|t|tsps?|tbsps?)(?:\s*\([^()]*\))?\W*$", re.I
)
# "cream cheese - 200 g full fat"
_AMOUNT_WITHIN = re.compile(
    r"[^\W\d_][^\d:.]{1,30}\s[-–—=]\s*[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]*\s*(?:g|kg|ml|oz|cups?|tsps?|tbsps?)\b"
)
# No sentence ends so, however short the line is.
_IS_TORN = re.compile(r"\b(?:half|the|with|and|of|into|a|an|remaining|to)$")
_SENTENCE = re.compile(r"[a-z]{3}[.!?]\s+[A-Z]|^[A-Z][a-z]+\s+(?:the|a|an|in|over|with|until|for)\b")


def wrapped(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that go on with the line above them, by their numbers, where a text is prose that a page has broken.

    A block is such prose where it begins with no amount and tells sentences or what is done, and its lines fill the width.
    """
    lines: dict[int, Role] = {}
    for block in _blocks(found):
        texts = [statement.line.raw.strip() for statement in block]
        width = max(map(len, texts))
        is_narrow = width < LEAST_WIDTH and 2 * sum(text[:1].islower() for text in texts[1:]) < len(texts)
        if is_narrow or width < LEAST_NARROW or read_amount(block[0].text) or not _is_prose(texts):
            continue
        if 2 * sum(map(_is_item, texts)) > len(texts):
            continue  # a list, under a heading in words: "For the filling"
        if 2 * sum(GAP.search(text) is not None for text in texts) > len(texts):
            continue  # a table
        for before, text, statement in zip(texts, texts[1:], block[1:], strict=False):
            is_full = (len(before) >= LEAST_SHARE * width and not _STOPS.search(before)) or _IS_TORN.search(before)
            is_deed = all(t[:1].islower() for t in texts if not t.endswith(":")) and first_word(text) in word_list(
                "verb"
            ) | {
                "fridge",
                "freezer",
                "oven",
            }
            # "about 12 slices, serve buttered"; "for two"
            is_told = bare_count(text.split(",")[0]) is not None or _FOR_SO_MANY.fullmatch(text) is not None
            goes_on = (text[:1].islower() and not is_deed and not is_told) or text[:1] == "(" or before.endswith("-")
            # "... and stir in" and "2 eggs", below no food of a list
            counts = text[:1].isdigit() and _AWAITS_AMOUNT.search(before) and read_amount(before) is None
            if is_full and not _ITEM.match(text) and (goes_on or counts):
                lines[statement.line.number] = "continuation"
        if texts[0][:1].islower() and block[1].line.number in lines:
            lines[block[0].line.number] = "step"  # "so for the brownies I just melt": no name
    return lines


_FOR_SO_MANY = re.compile(
    r"(?:for|serves|feeds|makes)\s+(?:about\s+)?(?:[1-9]\d?(?:\s*[-–]\s*\d{1,2})?|one|two|three|four|five|six|eight|ten|twelve|me)\W*",
    re.I,
)


def _is_item(text: str) -> bool:
    """Return whether a line is an item of a list: an amount and a food, or a food and its amount."""
    return (
        begins_food(text)
        or _AMOUNT_LAST.search(text) is not None
        or ends_with_amount(text)
        or _AMOUNT_WITHIN.match(text) is not None
    )


def broken_list(lines: Sequence[Physical]) -> list[Physical]:
    """Return lines with each list that runs on over several of them in its first: "2 eggs, half a" and "mug of sugar"."""
    found: list[Physical] = []
    block: list[Physical] = []
    for line in [*lines, None]:
        if line is not None and _NAMES_A_PART.match(line.raw.strip()):
            # What is told above a part ends there, however its last line ends.
            found += [*_as_one(block), line]
            block = []
            continue
        if line is not None and line.raw.strip() and (not block or not line.gap):
            block.append(line)
            continue
        found += _as_one(block)
        block = [line] if line is not None and line.raw.strip() else []
        if line is not None and not block:
            found.append(line)
    return found


def _as_one(block: list[Physical]) -> list[Physical]:
    """Return a block of lines as one where only together they are a list of foods that commas divide."""
    texts = [line.raw.strip() for line in block]
    if running := _running(block, texts):
        return running
    if sections := _sections(block, texts) or _torn_at_amounts(block, texts):
        return sections
    broken = [text for text in texts[1:] if text[:1].islower() and not _ITEM.match(text)]
    if not LEAST_BROKEN <= len(texts) <= MOST_BROKEN or len(broken) < LEAST_TORN or len(block[0].raw) > MOST_WIDE:
        return block
    # Where a line ends with its food the next begins with an amount: no list that is broken.
    if sum(begins_food(text) for text in texts) > len(texts) // 2 or not begins_food(texts[0]):
        return block
    if 2 * sum(_AMOUNT_LAST.search(text) is not None or _ENDS_COUNTED.search(text) is not None for text in texts) > len(
        texts
    ):
        return block  # "eggs - 3", "sugar - 100 g": whole lines
    parts = run_on(" ".join(texts))
    if len(parts) < LEAST_FOODS or not all(begins_food(part) for part in parts):
        return block
    return [replace(block[0], raw=" ".join(texts))]


def _sections(block: list[Physical], texts: list[str]) -> list[Physical]:
    """Return a block of a narrow page with a line for each part, where the lines of each run on: "For the pastry: 200g plain" and "flour, 100g butter,"; else none."""
    begins = [n for n, text in enumerate(texts) if _NAMES_ITS_FOODS.match(text)]
    torn = [
        two
        for one, two in itertools.pairwise(texts)
        if two[:1].islower() and not re.search(r"[.,:;!)]$", one) and not _ITEM.match(two)
    ]
    is_running = 2 * sum("," in text for text in texts) > len(texts) and len(block[0].raw) <= MOST_WIDE
    if not begins or begins[0] or len(torn) < LEAST_TORN or not is_running:
        return []
    told: list[Physical] = []
    for start, end in zip(begins, [*begins[1:], len(texts)], strict=True):
        whole = " ".join(texts[start:end])
        foods = run_on(_NAMES_ITS_FOODS.sub("", whole))
        if len(foods) < LEAST_FOODS or 2 * sum(map(begins_food, foods)) < len(foods):
            return []
        told.append(replace(block[start], raw=whole))
    return told


def _running(block: list[Physical], texts: list[str]) -> list[Physical]:
    """Return a block of a narrow column in which words are broken at the lines' ends, and its foods between commas, with each of its paragraphs in one line; else none.

    A paragraph ends where a sentence does and the next line begins with a capital; a name in capitals above is none of it.
    """
    if not LEAST_BROKEN <= len(block) <= MOST_RUNNING:
        return []
    torn = sum(_TORN_WORD.search(one) is not None and two[:1].islower() for one, two in itertools.pairwise(texts))
    if not torn or max(map(len, texts)) > MOST_WIDE or any(map(_ITEM.match, texts)):
        return []
    told: list[Physical] = []
    for line, text in zip(block, texts, strict=True):
        before = told[-1].raw.rstrip() if told else ""
        begins = not told or (before[-1:] in ".:!" and text[:1].isupper()) or before.isupper()
        if begins:
            told.append(line)
        else:
            told[-1] = replace(told[-1], raw=rejoined(told[-1].raw, text))
    has_list = any(
        len(foods) >= LEAST_FOODS and any(map(begins_food, foods)) for foods in (run_on(x.raw) for x in told)
    )
    return told if has_list else []


# A column has no more lines between two empty ones [1].
MOST_RUNNING = 80
_TORN_WORD = re.compile(r"[^\W\d_]{2,}-$")


def _torn_at_amounts(block: list[Physical], texts: list[str]) -> list[Physical]:
    """Return a block with the lines of a list in one, where several end with an amount whose food stands on the next: "1 cup raisins; 1 cup" and "water; 3/4 cup"; else none."""
    start = next((n for n, text in enumerate(texts) if begins_food(text)), len(texts))
    end = next(
        (n + 1 for n in range(start, len(texts)) if texts[n].endswith(".") and not _AMOUNT_ENDS.search(texts[n])),
        len(texts),
    )
    lines = texts[start:end]
    # "butter, 50 g" ends with an amount of its own.
    torn = [
        one
        for one, two in itertools.pairwise(lines)
        if _AMOUNT_ENDS.search(one) and two[:1].islower() and (begins_food(one) or _FOOD_WITHIN.search(one))
    ]
    divided = sum(";" in text or "," in text for text in lines)
    if len(torn) < LEAST_TORN or 2 * divided < len(lines) or len(block[start].raw) > MOST_WIDE:
        return []
    whole = functools.reduce(rejoined, lines)
    foods = foods_apart(whole.rstrip("."))
    if len(foods) < LEAST_FOODS or not all(map(begins_food, foods)):
        return []
    return [*block[:start], replace(block[start], raw=whole), *block[end:]]


_AMOUNT_ENDS = re.compile(
    r"(?:^|[\s;,])[\d½¼¾⅓⅔⅛][\d½¼¾⅓⅔⅛ ./]*\s*(?:cups?|c|tsps?|tbsps?|T|t|g|kg|ml|l|oz|lbs?|pints?|large|small)?\.?$"
)
# "flour; 1 tsp. soda; 1 tsp."
_FOOD_WITHIN = re.compile(r"[;,]\s*[\d½¼¾⅓⅔][^;,]*[^\W\d_]{3}[^;,]*[;,]")
# "For the pastry: 200 g plain"
_NAMES_ITS_FOODS = re.compile(
    r"^[A-Z][^\W\d_]*(?:\s[^\W\d_]+){0,4}\s*(?::|\s[-–—])\s+(?=[\d½¼¾⅓⅔]|an?\s|half\s|pinch\s)"
)
_NAMES_A_PART = re.compile(r"^for (?:the |an? )?[^\W\d_]+(?:[\s-][^\W\d_]+){0,3}:$", re.I)
_ENDS_COUNTED = re.compile(r"[^\W\d_][ :.–—-]+\d{1,2}$")
# So many lines of a broken list, so many of which begin in the middle of a food, and so wide at most.
LEAST_BROKEN, MOST_BROKEN, LEAST_TORN, MOST_WIDE = 3, 24, 2, 70


def _is_prose(texts: list[str]) -> bool:
    told = [t for t in texts if _SENTENCE.search(t)]
    told += [texts[0]] if not re.search(r"\d", texts[0]) and sum(bool(_DONE.search(t)) for t in texts) > 1 else []
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
