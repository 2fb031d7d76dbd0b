"""The juice and the zest that a line takes of a fruit: a statement for each part."""

from __future__ import annotations

import re

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.citrus import by_its_words
from sun_crumb.core.reading.line import PAREN

# Where one line goes on to a second food.
AND_MORE = re.compile(
    r"\s*,?\s+(?:plus|and|\+|&|(?:(?:then |well )?(?:mixed|blended|beaten|whisked|whipped|sweetened|slaked|stirred|combined|dissolved|made up|soured|bloomed|softened|soaked|sprinkled|toasted|fried|boiled|simmered|heated|melted)) (?:with|in|into|over|on)|in(?=\s+[\d½¼][^,]*\b(?:water|milk|juice|coffee)\b))\s+(?=(?:\d|[½⅓⅔¼¾⅛]|an?\s|one\s|two\s|(?:pinch|dash|handful)\b))",
    re.I,
)
_PART_OF = re.compile(
    r"^(?P<prep>(?:(?:finely|freshly|grated|squeezed|the|fresh|strained)\s+)*)"
    r"(?P<part>juice|zest|rind|peel)(?:\s*(?:and|&|\+)\s*(?:(?:finely|grated|the)\s+)*(?P<second>juice|zest|rind|peel))?"
    r"\s+(?:(?:of|from)\s+(?:(?:the|these|those|both)\s+(?=\d|one|two|three))?|(?=\d|[½¼]|an?\s|half\s|one\s|two\s|three\s))(?P<rest>.+)$",
    re.I,
)
_AFTER_PART = re.compile(
    r"[,(]\s*(?:(?:finely|freshly|grated|the)\s+)*(juice|zest|rind|juiced|zested|peel(?=\s+only|\s*\)?\s*$))(?:\s*(?:and|&|\+)\s*(?:(?:finely|grated)\s+)*(juice|zest|rind|juiced|zested))?"
    r"(?:\s+only|\s+grated)?\s*(?:[(,](?P<aside>[^()]*)\)?\s*)?\)?\s*$",
    re.I,
)


def of_a_fruit_and_more(text: str) -> list[str] | None:
    """Read the parts of a fruit, with the food that may stand behind them: "juice 2 limes + 85 g sugar"."""
    if (
        (cut := AND_MORE.search(text))
        and _PART_OF.match(text[: cut.start()])
        and (more := read_amount(text[cut.end() :]))
        and more[0].unit
        and not re.match(r"\s*(?:of\s+)?(?:the\s+)?(?:juice|zest|rind)\b", text[cut.end() :][more[1] :], re.I)
    ):
        return [*(_parts_of_a_fruit(text[: cut.start()]) or [text[: cut.start()]]), text[cut.end() :]]
    return _parts_of_a_fruit(text)


def fruit_behind(text: str) -> list[str] | None:
    """Read "150 g icing sugar + zest 1 orange": a food, and the parts of a fruit behind it."""
    found = _FRUIT_BEHIND.match(text)
    first = read_amount(found["food"]) if found else None
    if found is None or first is None or not re.search(r"[a-z]{3,}", found["food"][first[1] :], re.I):
        return None
    if two := _FIRST_PART.search(found["food"]):
        # "half a pint of water, juice & grated rind of 2 lemons"
        both = f"{two[1]} and {found['of']}"
        return [found["food"][: two.start()], *(_parts_of_a_fruit(both) or [both])]
    return [found["food"], *(_parts_of_a_fruit(found["of"]) or [found["of"]])]


_FIRST_PART = re.compile(r",\s+(?:the\s+)?(juice|zest|rind)$", re.I)


_FRUIT_BEHIND = re.compile(
    r"^(?P<food>[^()]+?)\s*(?:\+|\bplus\b|\band\b|&)\s*(?P<of>(?:(?:finely\s+)?grated\s+)?(?:zest|juice|rind)(?:\s*(?:and|&|\+)\s*(?:zest|juice|rind))?\s+(?:(?:of|from)\s+)?(?:\d|½|1/2|half|an?|one|two)\s+(?:\w+\s+)?(?:lemon|lime|orange|grapefruit|clementine)s?)$",
    re.I,
)


def parts_by_the_method(text: str, method: str) -> str:
    """Return a line that only counts a citrus fruit with the parts of it that the method takes: "2 lemons" as "zest and juice of 2 lemons".

    As it is where the method takes none of them, or the fruit whole.

    Examples
    --------
    >>> parts_by_the_method("2 lemons", "Beat in the lemon zest. Squeeze the lemons over.")
    'zest and juice of 2 lemons'
    """
    counted = ONLY_COUNTED.fullmatch(text)
    if counted is None:
        return text
    fruit = counted["fruit"].lower()
    if re.search(_WHOLE.format(fruit), method, re.I):
        return text
    parts = [part for part, taken in _TAKEN.items() if re.search(taken.format(fruit), method, re.I)]
    others = {"lemon", "lime", "orange", "grapefruit"} - {fruit}
    if parts == ["juice"] and re.search(r"\bzest\b", method, re.I) and not re.search("|".join(others), method, re.I):
        parts = ["zest", "juice"]  # "the juice of the orange ... beat in the zest"
    juice = re.search(_SO_MUCH_JUICE.format(fruit), method, re.I) if parts == ["zest", "juice"] else None
    if juice:
        return f"{counted['count']} {fruit}, zest and {juice[1]} juice"  # "1 tbsp of its juice"
    return f"{' and '.join(parts)} of {counted['count']} {fruit}s" if parts else text


ONLY_COUNTED = re.compile(
    r"(?P<count>\d{1,2}|½|1/2|half an?|an?|one|two|three|four)\s+(?:(?:large|small|medium|big|unwaxed|juicy|organic)\s+){0,2}(?P<fruit>lemon|lime|orange|grapefruit)s?(?:,?\s*\(?(?:unwaxed|organic|large)\)?)?",
    re.I,
)
# What tells that the zest, or the juice, of a fruit is taken; and what takes more of it.
_TAKEN = {
    "zest": r"\b{0}\s+(?:zest|rind)|\b(?:zest|rind|grate)\w*\b[^.;]{{0,24}}\b{0}s?\b|\b{0}s?\b[^.;]{{0,12}}\bzest",
    "juice": r"\b{0}\s+juice|\b(?:juice|squeeze|squeezed)\b[^.;]{{0,30}}\b{0}s?\b|\b{0}s?\b[^.;]{{0,30}}\bjuice|\bsqueeze of {0}",
}
_SO_MUCH_JUICE = r"\b{0}s?\b[^.;\d]{{0,24}}(\d[\d./½¼]*\s*(?:tbsps?|tablespoons?|tsps?|teaspoons?|ml))\s+(?:of\s+)?(?:its|the|their)\s+juice\b"
_WHOLE = r"\b(?:slice|segment|boil|simmer|peel|quarter|chop|halve|cut)\w*\b[^.;]{{0,20}}\b{0}s?\b(?!\s+(?:juice|zest))|\b{0}\s+(?:slices|segments|halves|wedges)"


def _parts_of_a_fruit(text: str) -> list[str] | None:
    """Read "zest and juice of 1 lemon" and "1 lemon, juice and zest" as one statement for each part."""
    text = _LEADS_ON.sub("of ", text, count=1)
    if told := _told_of_each(text):
        return told
    if halves := _ZESTED_AND_PART_JUICED.match(text):
        return [f"{halves['count']} {halves['food']} zest", f"{halves['part']} {halves['food']} juice"]
    if measured := _ZEST_OF_AND_JUICE.match(text):
        return [f"{measured['count']} {measured['food']} zest", f"{measured['juice']} {measured['food']} juice"]
    if both := _JUICED_AND_ZEST_OF.match(text):
        return [f"{both['count']} {both['food']} juice", f"{both['zest']} {both['food']} zest"]
    if part := _PART_OF.match(text):
        kinds = [k for k in (part["part"], part["second"]) if k]
        rest = part["rest"]
        amount = read_amount(rest)
        size, food = (rest[: amount[1]], rest[amount[1] :].strip()) if amount else ("", rest)
        aside = PAREN.search(food)
        food = PAREN.sub("", food).split(",")[0].strip()
        # "zest and juice of 2 lemons (about 90 ml)": so much juice.
        said = {k: f" {aside[0]}" if aside and (k == "juice" or len(kinds) == 1) else "" for k in kinds}
        return [f"{size} {food} {_part(k)}{said[k]}".strip() for k in kinds]
    after = _AFTER_PART.search(text)
    if after and re.search(r"\b(lemon|lime|orange|clementine|mandarin|grapefruit)s?\b", text, re.I):
        # "2 lemons, zest and juice (you need 80 ml)": so much juice.
        much = _OF_JUICE.search(after["aside"] or "")
        said = {"juice": f" ({much[0]})" if much else ""}
        parts = [_part(k) for k in after.groups()[:2] if k]
        return [f"{text[: after.start()].strip()} {part}{said.get(part, '')}" for part in parts]
    if both := _BOTH_PARTS.match(text):
        return [f"{both['head']} {_part(both['a'])}", f"{both['head']} {_part(both['b'])}"]
    return by_its_words(text)


# "Zest of ...... ½ lemon"
_LEADS_ON = re.compile(r"(?<=[a-z] )of\s*[-–—:.]+\s*(?=[\d½¼])", re.I)
# "3 lemons (juice; zest of one)"
_JUICED_AND_ZEST_OF = re.compile(
    r"^(?P<count>\d{1,2}|one|two|three|four)\s+(?:large\s+|unwaxed\s+|small\s+)*(?P<food>lemon|lime|orange|grapefruit|clementine)s?\s*[,(;]\s*(?:the\s+)?juiced?(?:\s+of\s+all)?\s*[;,]?\s*(?:(?:and|plus|&)\s+|\+\s*)?(?:the\s+)?(?:(?:finely\s+)?grated\s+)?zest\s+(?:of\s+|from\s+)?(?P<zest>\d|one|two|half|½)(?:\s+(?:of them|lemon|lime|orange)s?)?\s*\)?$",
    re.I,
)
_OF_JUICE = re.compile(r"\b\d+(?:[.,]\d+)?\s*(?:ml|g|tbsps?|tablespoons?|tsps?|teaspoons?|cups?|fl\.? ?oz)\b", re.I)
_CITRUS = r"(?P<food>lemon|lime|orange|grapefruit|clementine|mandarin)s?"
_ZESTED_AND_PART_JUICED = re.compile(
    rf"^(?P<count>\d+|[½1]|one|two)\s+(?:unwaxed\s+|large\s+|small\s+)?{_CITRUS},?\s*(?:\(?)zest(?:ed)?\s*(?:,|and|&)\s*(?P<part>[½¼]|half|1|one|\d)\s*(?:of (?:it|them)\s*)?juiced?\)?$",
    re.I,
)
_ZEST_OF_AND_JUICE = re.compile(
    rf"^{_CITRUS},?\s*zest of (?P<count>\d+|one|two|three)\s*(?:and|&|\+)\s*juice\s*\(?(?P<juice>\d+\s*(?:ml|g|tbsp|tsp|cups?))\)?$",
    re.I,
)


def _told_of_each(text: str) -> list[str] | None:
    """Read "zest 1 lemon + juice of half": two statements, or None."""
    if two := _ZEST_OF_TWO.match(text):
        return [f"{two['a']} {two['first']} zest", f"{two['b']} {two['second']} zest"]
    if shared := _OF_SO_MANY.match(text):
        food, count = shared["food"] or shared["named"], shared["count"] or shared["behind"]
        told = ((shared["of_one"], shared["one"]), (shared["of_two"], shared["two"]))
        aside = f" {shared['aside']}" if shared["aside"] and shared["two"].lower() == "juice" else ""
        parts = [f"{count if re.match('both|all|them', of, re.I) else of} {food} {part}" for of, part in told]
        return [parts[0], f"{parts[1]}{aside}"]  # "juice of 2½ (about 75 ml)": so much of it
    if beside := _ZEST_AND_MEASURED.match(text) or _ZEST_THEN_MEASURED.match(text):
        return [f"{beside['count']} {beside['food']} zest", f"{beside['much']} {beside['food']} juice"]
    if turned := _JUICE_AND_ZEST.match(text):
        return [f"{turned['a']} {turned['food']} juice", f"{turned['b']} {turned['food']} zest"]
    if not (found := _ZEST_AND_PART.match(text)):
        return None
    part = found["part"].lower()
    return [f"{found['count']} {found['food']} zest", f"{_HALF.get(part, part)} {found['food']} juice"]


_ZEST_AND_PART = re.compile(
    rf"^(?:(?:finely\s+)?grated\s+)?zest\s+(?:of\s+)?(?P<count>\d+|one|an?|two)\s+(?:unwaxed\s+|large\s+|small\s+)?{_CITRUS}\s*(?:,|and|&|\+|plus)\s*(?:the\s+)?juice\s+(?:of\s+)?(?P<part>half|½|1/2|a half|one|1|a quarter|¼|\d)(?:\s+(?:of\s+)?(?:it|them|an?\s+)?(?:lemon|lime|orange)?s?)?$",
    re.I,
)
_ZEST_OF_TWO = re.compile(
    r"^(?:finely\s+)?(?:grated\s+)?(?:zest|rind)\s+(?:of\s+)?(?P<a>\d|one|an?)\s+(?P<first>lemon|orange|lime)s?\s*(?:and|&|\+)\s*(?P<b>\d|one|an?)\s+(?P<second>lemon|orange|lime)s?$",
    re.I,
)
_ZEST_AND_MEASURED = re.compile(
    rf"^(?:(?:finely\s+)?(?:grated\s+)?zest\s+(?:of\s+)?)?(?P<count>\d+|one|an?)\s+(?:unwaxed\s+|large\s+|small\s+)?{_CITRUS}[,:]?\s*\(?(?:(?:finely\s+)?(?:grated\s+)?zest)?\s*(?:and|&|\+|plus)\s*(?P<much>\d[^()]*?(?:\b|(?<=\d))(?:tbsps?|tablespoons?|tsps?|teaspoons?|ml|cups?)\b)\.?\s+(?:of\s+)?(?:the\s+|its\s+)?juice\)?$",
    re.I,
)
# "zest 1 orange, 2 tbsp juice"
_ZEST_THEN_MEASURED = re.compile(
    rf"^(?:finely\s+)?(?:grated\s+)?zest\s+(?:of\s+)?(?P<count>\d+|one|an?|½|1/2|half)\s+(?:unwaxed\s+|large\s+|small\s+)?{_CITRUS},\s*(?P<much>\d[^(),]*?(?:\b|(?<=\d))(?:tbsps?|tablespoons?|tsps?|teaspoons?|ml|cups?)\b)\.?\s+(?:of\s+)?(?:the\s+|its\s+)?juice$",
    re.I,
)
_OF_SO_MANY = re.compile(
    rf"^(?:(?P<count>\d|two|three|four)\s+(?:\w+\s+)?{_CITRUS}|(?P<named>lemon|lime|orange|grapefruit)s?(?:,?\s+(?P<behind>\d))?)\s*[,:(–—-]+\s*"
    r"(?:(?:finely\s+)?grated\s+)?(?:the\s+)?(?P<one>zest|juice)\s+of\s+(?P<of_one>\d[½¼]?|one|two|three|half|both|all|them all|all of them)\s*(?:[,;]|and|&|\+)+\s*(?:the\s+)?"
    r"(?P<two>zest|juice)\s+of\s+(?P<of_two>\d[½¼]?|one|two|three|half|both|all|them all|all of them)(?:\s+(?:of them|lemons?|limes?|oranges?))?(?:\s+for\s+(?:the\s+)?\w+)?\)?\s*(?P<aside>\([^()]*\))?$",
    re.I,
)
# "juice of 3 lemons + zest of 2"
_JUICE_AND_ZEST = re.compile(
    rf"^(?:the\s+)?juice\s+(?:of\s+)?(?P<a>\d|two|three|four)\s+{_CITRUS}\s*(?:,|and|&|\+|plus)\s*(?:the\s+)?(?:finely\s+)?(?:grated\s+)?zest\s+(?:of\s+)?(?P<b>\d|one|two|three)$",
    re.I,
)
_HALF = {"half": "1/2", "a half": "1/2", "a quarter": "1/4"}
_BOTH_PARTS = re.compile(
    r"^(?P<head>.*?\b(?:lemon|lime|orange))s?'?\s+(?P<a>zest|juice|rind)\s+(?:and|&|\+)\s+(?P<b>zest|juice|rind)$", re.I
)


def _part(word: str) -> str:
    return {"juiced": "juice", "zested": "zest", "rind": "zest", "peel": "zest"}.get(word.lower(), word.lower())
