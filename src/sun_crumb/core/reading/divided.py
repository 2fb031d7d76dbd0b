"""A line whose foods one sign divides, whatever it is: "200 g flour :: 100 g butter :: 2 eggs"."""

from __future__ import annotations

import re

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.food_ends import AMOUNT_BEHIND, LEAST_FOODS, METHOD_BEHIND, begins_food, first_word
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.words import word_list

# A full stop that divides two foods.
_STOP = re.compile(r"(?<=[a-z)])\.\s+(?=[\d½¼¾⅓⅔⅛]|an? |pinch|half |grated |zest |juice )", re.I)
# "1 egg + 1 yolk", "zest & juice": signs that join as often as they divide.
# "3 whites/180 g caster/30 g raspberries"
_GLUED_SLASH = re.compile(r"(?<=[a-z)])/(?=[\d½¼¾⅓⅔])")
_WEAK = (_STOP, _GLUED_SLASH, re.compile(r"\s+:\s+"), re.compile(r"\s+\+\s+"), re.compile(r"\s+&\s+"))
# The signs that may divide foods, those first that stand for nothing else.
_SIGNS = (
    *tuple(
        re.compile(rf"\s+{sign}\s+")
        for sign in (
            r"/{2,}",
            r":{2,}",
            r"\|{1,2}",
            r"[•·●▪¤►▸»>¦]",
            r"~+",
            r"[-–—]{2,}",
            r"[–—]",
            r"[*#^]+",
            r"-",
            r"/",
            r"[-=]+>",
        )
    ),
    re.compile(r"\s*;\s*"),
    re.compile(r"(?<=\S)\s{2,}(?=\S)"),
    *_WEAK,
)
_UNIT_BEHIND = re.compile(r"\d\s*(?:k?g|m?l|oz|lbs?|cups?|tsps?|tbsps?)\b", re.I)
# What leads in the foods of a line: "Base:", "For the glaze -".
_LED = re.compile(
    r"^((?:layer|part|step|tier|mix|stage)\s\d|[^\W\d_][^:;|/•·~\d]{1,40}?)\s*(?::|\s[-–—]{1,2})\s+(?=\S)", re.I
)
# "180C / 160C fan / gas 4": the oven three times, and no food.
_HEAT = re.compile(r"\b\d{3}\s*(?:°|º|C\b|F\b|fan\b)|\bgas\s*(?:mark\s*)?\d", re.I)
# "egg whites 5 / caster sugar 275g": a food and its amount, and then another.
_NAMED_FIRST = re.compile(r"[a-z][^/|•·~;:–—\d]{2,30}\s\d[\d.,]*\s*[a-z]{0,4}\s+/\s+[a-z]", re.I)
# "raspberries 300g – swiss roll tin, 200C 8 mins": how, behind the last food and a dash.
_DASHED_METHOD = re.compile(
    r"(?P<food>[^–—]{3,60}?)\s+(?:[–—]|-{1,2})\s+(?P<method>(?=[^–—]{0,60}\b\d{3}\s*(?:°|º|C\b|F\b|fan\b)|[^–—]{0,60}\bgas\s*(?:mark\s*)?\d)(?![\d½¼¾⅓⅔]+\s*(?:g|oz|ml)\b).+)$",
    re.I | re.S,
)
# "Egg wash: 1 egg + 1 tbsp milk": no part of its own.
_WASH = re.compile(r"\bwash$", re.I)
# A line this short, or of so many signs, is none that holds a list [characters; 1].
LEAST_LONG, MOST_PARTS = 24, 60
# A food without an amount has so few words, and no more than such a share of the foods have none (judgement).
LONGEST_BARE, MOST_BARE = 6, 0.4
LONGEST_PART = 14
# No food has a shorter name [characters].
SHORTEST_BARE = 3


def divided(text: str, leads: re.Pattern[str]) -> list[str]:
    """Return the part that a line names and its foods, where one sign divides three foods and more, most with their amounts; none where it is no such line.

    Parameters
    ----------
    text
        A line of a text.
    leads
        What leads in a list and names no part of a dessert: "You need: ...".
    """
    if len(text) < LEAST_LONG or not any(sign in text for sign in _ANY):
        return []
    text = text.lstrip("# ")
    led = _LED.match(text)
    if led and _WASH.search(led[1]):
        led = None
    is_deed = led is not None and first_word(led[1]) in word_list("verb") and not _names_a_part(led[1])
    ways = [(text, ""), *([(text[led.end() :], led[1])] if led else [])]
    if led and " " in led[1] and _NAMED_FIRST.match(text[led.end() :]):
        ways.reverse()  # "Meringue roll – egg whites 5 / caster sugar 275 g / ..."
    for rest, head in ways:
        for sign in _SIGNS:
            if foods := _foods(sign, rest, LEAST_UNDER_A_NAME if head else LEAST_FOODS):
                names_a_part = head and not is_deed and not leads.match(head)
                return [*([f"{head}:"] if names_a_part else []), *foods]
    return []


def _names_a_part(head: str) -> bool:
    """Return whether a name ends with what a part of a dessert is called: "Cream cheese frosting"."""
    return head.split()[-1].lower() in word_list("component") - word_list("deed_food") | PLACES


# Where a part lies names it too: "top: 200 g chocolate".
PLACES = frozenset({"top", "middle", "bottom"})


_ANY = (
    "/",
    ":",
    "|",
    "•",
    "·",
    "●",
    "▪",
    "¤",
    "¦",
    "►",
    "▸",
    "»",
    ">",
    "~",
    "-",
    "–",
    "—",
    "*",
    "#",
    "^",
    "+",
    "&",
    ";",
    "  ",
    ". ",
)


# A line that names its part holds two foods at least [1].
LEAST_UNDER_A_NAME = 2


def _foods(sign: re.Pattern[str], text: str, least: int) -> list[str]:
    parts = [part.strip() for part in sign.split(text, maxsplit=MOST_PARTS) if part.strip(" .,;")]
    if len(parts) < least:
        return []
    heated = _DASHED_METHOD.match(parts[-1])
    if any(_HEAT.search(part) for part in (parts[:-1] if heated else parts)):
        return []
    last, *method = heated.groups() if heated else METHOD_BEHIND.split(parts[-1], maxsplit=1)
    parts = [*parts[:-1], last]
    if any("(" in part and part.count("(") != part.count(")") for part in parts):
        return []
    if sign in _WEAK and (
        any(re.search(r"[,;]\s+\d", part) for part in parts)
        or not (all(map(begins_food, parts)) or all(map(AMOUNT_BEHIND.match, parts)))
    ):
        return []
    if not any((told := read_amount(clean(part))) and told[0].unit for part in parts) and not _UNIT_BEHIND.search(text):
        return []  # "3 June · 8 comments"
    if any(_AMOUNT_ALONE.fullmatch(part) or statements(part) for part in parts):
        return []  # "Butter : 200 g / Sugar : 100 g": the sign stands within each food
    weighed = [_is_food(part) for part in parts]
    bare = [part for part, is_weighed in zip(parts, weighed, strict=True) if not is_weighed]
    if (
        not (weighed[0] or weighed[1])
        or not all(_may_be_bare(part) for part in bare)
        or len(bare) > MOST_BARE * len(parts)
    ):
        return []
    return [*parts, *method]


def _is_food(part: str) -> bool:
    return (
        len(part.split()) <= LONGEST_PART
        and not _SO_LONG.search(part)
        and (begins_food(part) or _AMOUNT_LAST.match(part) is not None or _BEHIND_A_COLON.match(part) is not None)
    )


# "two oranges - boiled 2 hrs - puréed"
_SO_LONG = re.compile(r"\d\s*(?:min(?:ute)?s?|hrs?|hours?)\b", re.I)
_AMOUNT_ALONE = re.compile(
    r"[\d½¼¾⅓⅔⅛][\d½¼¾⅓⅔⅛ .,/–-]*\s*(?:gms?|g|kg|ml|l|ltr|litres?|oz|lbs?|cups?|tsps?|tbsps?|nos?|pcs)?\.?|an?\s+(?:pinch|dash|handful)",
    re.I,
)
# "Caster sugar : 100 gm", "Almonds: 2 tbsp, slivered"
_BEHIND_A_COLON = re.compile(
    rf"[^\W\d_][^\d:;]{{1,40}}?\s*:\s*(?:{_AMOUNT_ALONE.pattern})(?:\s+[a-z]+ed)?(?:\s*\([^()]*\))?(?:,\s*[^\d:]*)?$",
    re.I,
)
# "carrots — 600 g, grated", "salt, pinch"
_AMOUNT_LAST = re.compile(
    r"(?![^\d]*:\s)[^\W\d_][^\d;]{1,40}?(?:\s*[-–—=~→:|>]+\s*|\s*\.{2,}\s*|[\s,(]+)(?:\d|[½¼¾⅓⅔⅛]|(?:an?\s+)?(?:pinch|dash|handful)$|to taste$)",
    re.I,
)


def _may_be_bare(part: str) -> bool:
    """Return whether a part may be a food without an amount: "flaky salt", "oil for frying"."""
    part = clean(part)
    words = part.split()
    return (
        len(words) <= LONGEST_BARE
        and re.search(r"[\d½¼¾⅓⅔:.]", part) is None
        and len(part) >= SHORTEST_BARE
        and first_word(part) not in word_list("verb") - word_list("deed_food")
    )
