"""A whole recipe in one line: its name, its parts with their foods, how."""

from __future__ import annotations

import re

from sun_crumb.core.reading.food_ends import LEAST_FOODS, METHOD_BEHIND, amounts_behind, first_word, foods_apart
from sun_crumb.core.reading.headings import heading_kind
from sun_crumb.core.reading.words import word_list


def named_then_told(raw: str) -> tuple[str, str] | None:
    """Return the name and the method of a recipe that is told in one go: "Flapjacks, the easy way. Melt 175 g butter ..."."""
    named = re.match(r"^([^\W\d_][^.:;\d]{2,60})[.:]\s+(?=\S)", raw)
    if not named or first_word(named[1]) in word_list("verb") | word_list("method") | word_list("component"):
        return None
    rest = raw[named.end() :]
    if amounts_behind(METHOD_BEHIND.split(rest, maxsplit=1)[0]):
        return None  # "Nut cake: butter (6 oz), eggs (3), flour (7 oz). Cream, beat, fold."
    return (named[1], rest) if first_word(rest[:20]) in word_list("verb") and re.search(r"\d", rest) else None


def all_in_one(raw: str) -> list[str]:
    """Return the statements of a line that tells two parts or more with their foods ("Crust -- 1 c. flour, ... Filling -- 2 eggs, ..."); else none."""
    if told := _named_and_headed(raw):
        return told
    if shouted := _under_its_head(raw):
        return shouted
    if whole := _TOLD_WHOLE.match(raw):
        # "Treacle tart. Quantities for 12 portions: pastry 500 g, syrup 900 g. Line a tin ..."
        listed = amounts_behind(whole["foods"]) or foods_apart(whole["foods"])
        if len(listed) >= LEAST_FOODS:
            return [whole["title"], f"{whole['head']}:", *listed, *([whole["method"]] if whole["method"] else [])]
    parts = list(_PART_TOLD.finditer(raw))
    if len(parts) < LEAST_PARTS:
        return []
    told = [raw[: parts[0].start()].strip(" :.–—-")]
    for n, part in enumerate(parts):
        inside = raw[part.end() : parts[n + 1].start() if n + 1 < len(parts) else len(raw)].strip()
        foods, *method = METHOD_BEHIND.split(inside, maxsplit=1) if n + 1 == len(parts) else [inside]
        if len(listed := foods_apart(foods)) < LEAST_LISTED:
            return []
        told += [f"{part['part']}:", *listed, *method]
    return [one for one in told if one]


def _named_and_headed(raw: str) -> list[str]:
    """Return the statements of a recipe in one line with its headings ("Almond Thins: Ingredients: 100 g butter, ... Method: Melt ..."); else none."""
    named = _NAMED_AND_HEADED.match(raw)
    if named is None:
        return []
    *foods, told = foods_apart(named["foods"].rstrip(". "))
    if len(foods) + 1 < LEAST_FOODS:
        return []
    return [part for part in (named["title"], "INGREDIENTS", *foods, told, "METHOD", named["method"]) if part]


_NAMED_AND_HEADED = re.compile(
    r"^(?P<title>[A-Z][^:\d]{2,60}?)[:.]\s+(?:Ingredients|You need|You will need)\s*:\s*(?P<foods>.+?)[.;]?\s+(?:Method|Directions|Instructions|Preparation|To make)\s*:\s*(?P<method>.+)$",
    re.S,
)


def _under_its_head(raw: str) -> list[str]:
    """Return a shouted heading and all that one line tells behind it ("INGREDIENTS For 4 servings 2 cups berries 1/4 cup sugar ..."); none where it is no such line."""
    led = _LED_METHOD.match(raw)
    if led and heading_kind(led[1]) == "method" and first_word(led[2]) in word_list("verb"):
        return [f"{led[1]}:", led[2]]  # "What to do: blend, fill six moulds, freeze"
    head = _SHOUTED_HEAD.match(raw)
    if head is None or len(raw) < LEAST_LONG:
        return []
    rest = raw[head.end() :]
    shouted = head[1].upper()
    if shouted != "INGREDIENTS":
        return [shouted, rest]
    if behind := amounts_behind(rest):
        return [shouted, *behind]  # "Ingredients: butter 180 g; icing sugar 200 g; egg whites 6"
    said = _YIELD_FIRST.match(rest)
    begins = [found.start() for found in _AMOUNT_BEGINS.finditer(rest, said.end() if said else 0)]
    foods = [rest[a:b].strip(" ,;") for a, b in zip(begins, [*begins[1:], len(rest)], strict=True)]
    is_all = bool(begins) and not rest[said.end() if said else 0 : begins[0]].strip(" ,;:•*-–")
    if len(foods) < LEAST_FOODS or not is_all:
        return []
    told = [part for food in foods for part in _before_a_part(food)]
    return [shouted, *([said[1]] if said else []), *told]


def _before_a_part(food: str) -> list[str]:
    """Return the last food of one part and the name of the next ("1 tbsp coffee. Buttercream:"), or the food alone."""
    found = _PART_LAST.match(food)
    return [found[1], f"{found[2]}:"] if found else [food]


# A line that tells so much is no heading alone [characters] (judgement).
LEAST_LONG = 60
_LED_METHOD = re.compile(r"\s*([^\W\d_][a-z' ]{1,24}):\s+(\S.{12,})", re.S | re.I)
_SHOUTED_HEAD = re.compile(
    r"\s*(INGREDIENTS|METHOD|INSTRUCTIONS|DIRECTIONS|PREPARATION|(?:Ingredients|Method|Instructions|Directions)(?=:))\b:?\s+(?=\S)"
)
# "1 tbsp strong coffee. Buttercream:": the last food of one part, and the name of the next.
_PART_LAST = re.compile(r"(.+?)[.;,]?\s+([A-Z][^\W\d_]+(?: [^\W\d_]+){0,2}):$")
_YIELD_FIRST = re.compile(r"((?:for|serves|makes)\s+\d{1,2}(?:\s+(?:servings|people|portions|pieces))?)[:,.]?\s+", re.I)
# An amount behind the last word of the food before it.
_AMOUNT_BEGINS = re.compile(
    r"(?:^|(?<=[a-z)]\s)|(?<=[a-z),],\s)|(?<=\s))(?:\d+\s+\d/\d|\d+/\d|\d+|[½¼¾⅓⅔])\s*(?:cups?|tbsps?|tsps?|tablespoons?|teaspoons?|g|kg|ml|oz|lbs?|pounds?|cans?|[a-z]{4,})\b(?<!servings)",
    re.I,
)
_TOLD_WHOLE = re.compile(
    r"^(?P<title>[A-Z][^.:;\d]{2,60})[.!]\s+(?P<head>(?:ingredients|quantities|amounts|you (?:will )?need|take|list)\b[^.:;]{0,40}):\s+(?P<foods>[^.]+(?:\.\d[^.]*)*)(?:\.\s+(?P<method>[A-Z].*))?$",
    re.I | re.S,
)
# So many parts, each with so many foods, are a recipe in one line.
LEAST_PARTS = 2
LEAST_LISTED = 2
_PART_TOLD = re.compile(
    r"(?:^|(?<=[.:;!])\s)\s*(?P<part>[A-Z][^\W\d_]+(?: [^\W\d_]+){0,2})\s*(?:--|[–—:]|\s-)\s*(?=[\d½¼¾⅓⅔])"
)
