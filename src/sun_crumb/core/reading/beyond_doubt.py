"""Whether the words around a number of portions leave no doubt that it is theirs: all others there are explained, and no word makes it another's."""

from __future__ import annotations

import re
from collections.abc import Iterator

from sun_crumb.core.reading.counts import DOZENS_AND_A_HALF, MEASURE_AFTER, NUMBER, NUMBER_PLAIN, Count, value_of
from sun_crumb.core.reading.plainly import counts_plainly


def is_beyond_doubt(within: str, count: Count, whole: str) -> bool:
    """Return whether *within*, the line or clause that tells *count*, cut from *whole*, can mean no other number.

    Examples
    --------
    >>> eight = Count(8, 8, "slice", "piece", 0)
    >>> is_beyond_doubt("Makes 1 loaf, 8 slices. 180 °C, 40 min", eight, "1 loaf")
    True
    >>> is_beyond_doubt("Makes 8 slices & 4 ends", eight, "")
    False
    """
    if any(not _is_one_of(either[1], count) for either in _EITHER.finditer(within)):
        return False  # "12 large or 18 medium", "1 loaf or 12 muffins"
    text = without_measures(within)
    if _ANOTHERS.search(text):
        return False
    wholes = int(whole.split(" ", 1)[0]) if whole else 1
    told = {1, count.low, count.high, wholes}
    of_each = {side // wholes for side in (count.low, count.high) if side % wholes == 0} if wholes > 1 else set()
    numbers = set(_numbers(text))
    if wholes > 1 and _OF_EACH.search(text) and not (of_each & numbers):
        return False  # "3 pies, 4 people each" are no four
    return all(number in told | of_each or number >= LEAST_HEAT for number in numbers)


def _is_one_of(told: str, count: Count) -> bool:
    """Return whether a number behind "or" is one end of the span that was counted: "8 or 10"."""
    number = NUMBER.match(told)
    return number is not None and {*value_of(number)} <= {count.low, count.high} and count.high > count.low


def without_measures(text: str) -> str:
    """Return a line or clause, its counts in plainer words, without the numbers of tins, heats, times, energy and money."""
    return _EXPLAINED.sub(" ", counts_plainly(text))


def _numbers(text: str) -> Iterator[int]:
    """Yield each number of *text* that is no measure, the least and the most of a span; of rows by columns what they make."""
    text = _ROWS.sub(lambda rows: f" {int(rows[1]) * int(rows[2])} ", text)
    text = DOZENS_AND_A_HALF.sub(lambda dozens: f" {12 * int(dozens[1]) + 6} ", text)
    for found in NUMBER.finditer(text):
        if not MEASURE_AFTER.match(text[found.end() :]):
            yield from value_of(found)


# "2 trays of 12", "2 loaves, 12 slices each": all the trays' are told
_OF_EACH = re.compile(r"\b(?:each|apiece|of)\b", re.I)
# What is so much is a heat, a year or kilocalories, where portions are told beside it [1] (judgement).
LEAST_HEAT = 100
_ROWS = re.compile(r"\b(\d{1,2})\s*(?:x|×|by)\s*(\d{1,2})\b")
_MANY = r"\d+(?:[.,]\d+)?\s*[½¼¾⅓⅔]?"
_UNIT = r"(?:m\b|min|h\b|hr|hour|day|week|°|deg|[cf]\b|cm|mm|in\b(?!\s+\d)|inch|[\"″”]|g\b|kg|ml|l\b|oz|lb|kcal|cal|%)"
# What numbers stand for that are no portions: sides of tins, heats, times, energy, money, the number of a step, what a label lists.
_EXPLAINED = re.compile(
    rf"^\W*(?:step\s*)?\d{{1,2}}[.)]\s"
    rf"|(?:{_MANY}\s*-?{_UNIT}?[a-z]*\s*(?:[-–—x×/+]|to\b|or\b|by\b|plus\b|then\b|and\b)\s*){{0,2}}{_MANY}\s*-?{_UNIT}\w*(?:(?<=[hrs])\s*\d{{1,2}}(?:\s*m(?:in\w*)?)?\b)?"
    r"|\b\d{1,2}\s*(?:x|×|by)\s*\d{1,2}\s*-?\s*(?:pan|tin|tray|dish|baking|loaf)\b"
    r"|\b(?:pan|tin|tray|dish)\W{0,3}\d{1,2}\s*(?:x|×|by)\s*\d{1,2}\b"
    r"|\bgas(?:\s*mark)?\s*\d|\bmark\s*\d\b|[£$€]\s*\d+(?:[.,]\d\d)?|\b(?:[pcf]|protein|carbs?|fat|sugars?|fibre|fiber)\W{0,2}\d+"
    rf"|\b(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|rest(?:ing)?|chill(?:ing)?|total|ready|time)\b(?:\s+(?:in|time|for))?\s*[:=]?\s*{_MANY}(?:\s*[-–]\s*\d+)?(?=\s*(?:$|[,;|·•/)]))"
    r"|\bplus\s+(?=chill|cool|rest|freez|soak|overnight|prov|ris|setting)"
    r"|\b(?:kcal|calories|nutrition|macros?)?\s*per\s+(?:serving|portion|slice|piece|recipe)\b|\b(?:dos[ei]|ingredienti|ricetta)?\W*(?<!kcal )per\s+(?=[\d–-]+\s+(?:person|porzion|biscott|pezz|fett|bicchier|copp)|\d+\s*$|una\b)",
    re.I,
)
_EITHER = re.compile(rf"\bor\s+(?:(?:about|around|just|only|even)\s+)*({NUMBER_PLAIN})(?!\s*-?{_UNIT})", re.I)
# Words that make a number that of another batch, of what is over, of each, or no number at all.
_ANOTHERS = re.compile(
    r"\b(?:more|another|extra|others?|instead|doubl\w*|tripl\w*|twice|halv\w*|original\w*|used to|(?<!at )once|last|per|every|if|unless|not|\w+n['’]t|left|leftovers?|plus|except|would|could|scal\w*|at a time|per batch|than|of which|spare|besides|only some)\b|\bhalf\b(?!\s+(?:a\s+)?do?z)|[&+]\s*\d",
    re.I,
)
