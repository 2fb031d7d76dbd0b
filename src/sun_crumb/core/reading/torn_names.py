"""Names of foods that a line's end has torn: "600 ml double" and "cream", "180 g (1½ cups) self-raising" and "flour"."""

from __future__ import annotations

import functools
import re
from collections import Counter
from collections.abc import Callable, Mapping, Sequence
from dataclasses import replace

from sun_crumb.core.quantities.measures import words_alone
from sun_crumb.core.reading.food_ends import first_word
from sun_crumb.core.reading.headings import PLACE, names_a_part
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.several import split_line
from sun_crumb.core.reading.words import word_list


def torn_names(found: Sequence[Statement], told: Mapping[str, Known], known: Callable[[str], Known]) -> dict[int, Role]:
    """Return the lines that go on with the name of the food above: "600 ml double" and "cream"."""
    lines: dict[int, Role] = {}
    several = Counter(s.line.number for s in found)
    look = functools.cache(lambda text: told[text] if text in told else known(text))
    before = found[0] if found else None
    for statement in found[1:]:
        assert before is not None
        is_next = statement.line.number > before.line.number and not statement.line.gap
        is_place = PLACE.fullmatch(statement.raw.strip(" :")) is not None
        is_torn = is_next and several[statement.line.number] == 1 and not is_place
        if is_torn and _is_rest_of(before, statement, look):
            lines[statement.line.number] = "continuation"
            before = _joined(before, statement)
        else:
            before = statement
    return lines


def _joined(before: Statement, statement: Statement) -> Statement:
    """Return a statement with what goes on with it, as if both stood on the second line: a third may go on with them."""
    raw = f"{before.raw.rstrip()} {statement.raw.strip()}"
    line = replace(statement.line, raw=f"{before.line.raw.rstrip()} {statement.line.raw.strip()}")
    return Statement(line, raw, f"{before.text} {statement.text}")


def _is_rest_of(before: Statement, statement: Statement, look: Callable[[str], Known]) -> bool:
    if before.line.raw.rstrip().endswith(",") and look(before.text).has_food and _AS_PREPARED.fullmatch(statement.raw):
        return True
    is_said = _AMOUNT_LAST.search(statement.raw) or _FEW_WORDS.fullmatch(statement.raw.strip())
    return is_said is not None and _goes_on(before, statement, look)


_FEW_WORDS = re.compile(
    r"(?!(?:for|to|or|and|plus)\b)[a-zà-ÿ][a-zà-ÿ' -]{2,24}(?:,\s*[a-zà-ÿ][a-zà-ÿ ]{2,24}|\s*\([^()]{2,24}\))?"
)


def _goes_on(before: Statement, statement: Statement, look: Callable[[str], Known]) -> bool:
    """Return whether a line of a few words in small letters goes on with the food above it."""
    first, second = look(before.text), look(statement.text)
    if _says_more(before, statement, first, second):
        return True
    both = look(f"{before.text} {statement.text}")
    if _is_torn_name(before, statement, first, second) and both.food not in ("", second.food):
        return True
    if first.has_amount and _EGG_LAST.search(before.text) and _OF_AN_EGG.match(statement.raw.strip()):
        return True  # "3 egg" and "whites"
    is_whole = re.search(r"[,()]", _SAID_AGAIN.sub("", before.text)) or _AMOUNT_LAST.search(before.raw)
    has_own = second.has_amount and not re.fullmatch(
        r"[^\d(]+\([^()]*\)", statement.raw.strip()
    )  # "bananas (300 g peeled)", below "3 very ripe"
    if not first.has_amount or has_own or first.is_behind or is_whole:
        return False
    if (second.food and _ENDS_WITH_USE.search(before.text)) or _SO_LITTLE_OF.match(statement.raw):
        return False  # "strip of orange peel", "oil for frying": a food of its own
    if second.food and len(parts := split_line(before.text)) > 1:
        # "1 lemon and 60 g icing" and "sugar"; "1 egg + 1 yolk" and "lemon zest": nothing is broken off.
        return look(parts[-1]).food != look(f"{parts[-1]} {statement.text}").food not in ("", second.food)
    return bool(both.food) and first.food in ("", both.food)


def _says_more(before: Statement, statement: Statement, first: Known, second: Known) -> bool:
    """Return whether a few words in small letters, and no food, say more of the food above: "500 g cherries, stones" and "left in"."""
    text = statement.raw.strip()
    return (
        first.has_amount
        and first.has_food
        and not statement.line.gap
        and not (second.food or second.has_amount)
        and len(text.split()) <= MOST_TORN
        and "," in before.raw
        and not (names_a_part(text) or first_word(text) in word_list("verb"))
    )


# "mashed (100 g)", below "1 ripe banana,"
_AS_PREPARED = re.compile(
    r"\s*(?:(?:finely|roughly|coarsely|thinly|freshly|lightly|well)\s+)?(?:[a-z]{3,}ed|cut|ground|beaten|broken|frozen|torn)\b[a-z ]{0,24}(?:\([^()]*\))?\s*"
)
# "2 tbsp yoghurt + extra to serve": nothing follows.
_ENDS_WITH_USE = re.compile(
    r"\b(?:to|for)\s+(?:serv\w+|finish\w*|decorat\w+|dust\w*|garnish\w*|sprinkl\w+|top\w*)$", re.I
)


def _is_torn_name(before: Statement, statement: Statement, first: Known, second: Known) -> bool:
    """Return whether a food's name begins on the line above the one that ends with its amount: "dark choc" and "chips . 100g"."""
    is_list = second.has_amount and second.is_behind and not first.has_amount
    return (
        is_list
        and len(before.text.split()) <= MOST_TORN
        and before.raw.strip()[:1].islower()
        and not re.search(r"[,.:;!?]\s*$", before.raw)
    )


_EGG_LAST, _OF_AN_EGG = re.compile(r"\begg$", re.I), re.compile(r"(?:whites?|yolks?)\b")
# "180 g (1½ cups) self-raising": the amount again
_SAID_AGAIN = re.compile(r"\(\s*[\d½¼¾⅓⅔⅛][^()]{0,16}\)")
_SO_LITTLE_OF = re.compile(
    rf"\W*(?:{words_alone()}|strip|few|little)\s+(?:of\s+)?\w|.*\b(?:for|to)\s+(?:the\s+tin|fry|deep|greas|dust|serv|decor|brush|sprinkl|finish|roll|coat|top)|\W*(?:salt|pepper)\b",
    re.I,
)
MOST_TORN = 3
_AMOUNT_LAST = re.compile(r"\d\s*(?:g|kg|ml|l|oz|tsp|tbsp)?\s*$")
