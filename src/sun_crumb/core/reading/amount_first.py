"""A food whose amount stands behind a sign, told with the amount first: "plums: 8, halved" is "8 plums, halved"."""

from __future__ import annotations

import re

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.counts import kind_of
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.words import word_list

_BEHIND = re.compile(
    r"^(?P<name>(?P<mark>\W*)[^\W\d_][^\d:=→|;·•]{1,44}?)(?P<sign>\s*(?:[:=→|×·•]|[-=]+>)\s*|\s+(?:[xX]|[-–—~]+)\s+|\s*\.{2,}\s*)(?P<rest>(?:about\s+|approx\.?\s+|~\s*)?[\d½¼¾⅓⅔⅛].*)$"
)
# "25 g oats each = 100 g", "1 banana each = 4"
_SO_MANY_EACH = re.compile(
    r"^\W*\d[\d.,/½¼]*\s*(?:(?:g|ml|oz|tsps?|tbsps?|cups?)\s+)?(?P<name>[^\W\d_][^\d=]{1,40}?)\s+each\s*=\s*(?P<all>\d+\s*(?:g|ml|oz|tsps?|tbsps?|cups?)?)\s*(?:in all|in total|total)?$",
    re.I,
)
# "plus 2 apples", "Then 4 pears, peeled"
_LINKED = re.compile(r"^(?:then|next|and|also|plus|now|finally|lastly)\b\s*[,:]?\s+(?=[\d½¼¾⅓⅔⅛])", re.I)
# "(3) ripe pears", "[250 g] flour", "200 g: sugar"
_ENCLOSED = re.compile(
    r"^(?P<mark>\W*?)[(\[]\s*(?P<amount>[\d½¼¾⅓⅔⅛][^()\[\]]{0,16}|one|two|three|half an?)\s*[)\]]\s*[:–—-]?\s*(?=[^\W\d_])(?!\w+ed\s+(?:with|in|and)\b)"
)
_PARTED = re.compile(
    r"^(?P<amount>\W*[\d½¼¾⅓⅔⅛][\d½¼¾⅓⅔⅛ .,/–-]*\s*(?:[^\W\d_]{1,12}\.?)?)\s*(?::|=|\||\s[-–—]\s|\.{2,}|→)\s*(?=[^\W\d_])"
)
# "Bramley apples (4)", and no "Small buns (8)"
_COUNTED = re.compile(
    r"(?P<mark>\W*)(?P<name>[^\W\d_](?:[^\d:;()]{0,30}\s)??(?P<last>[^\W\d_]+))\s*\((?:about |approx\.? |~)?(?P<count>\d|1[0-2]|half|½)\)(?P<done>,\s[^\d:;]+)?"
)
# What stands before a number and is no food.
_NO_FOOD = re.compile(
    r"\b(?:oven|temp(?:erature)?|heat|gas|fan|mark|bake|baking time|cook|time|prep|chill|rest|rise|prove|total|yield|tin|pan|mould|size|page|step|part|no|nr|calories|kcal|energy|per|rating|votes|diameter|date|issue|level|difficulty|version|servings?|portions?|pieces|slices|qty|quantity|makes|serves)\b",
    re.I,
)


def amount_first(text: str) -> str:
    """Return *text*, one statement of a list, with its amount in front, where a sign divides it from its food; as it is where it is no such statement.

    Examples
    --------
    >>> amount_first("plums: 8, halved")
    '8 plums, halved'
    >>> amount_first("[250 g] flour"), amount_first("250 g: flour")
    ('250 g flour', '250 g flour')
    """
    text = _SO_MANY_EACH.sub(r"\g<all> \g<name>", _LINKED.sub("", text))
    if (enclosed := _ENCLOSED.match(text)) and _is_measured(enclosed["amount"]):
        return f"{enclosed['mark']}{enclosed['amount'].strip()} {text[enclosed.end() :]}"
    if (parted := _PARTED.match(text)) and _is_measured(parted["amount"]):
        return f"{parted['amount'].strip()} {text[parted.end() :]}"
    if (
        (counted := _COUNTED.fullmatch(text))
        and not statements(text)
        and kind_of(counted["last"].lower()) not in ("piece", "whole")
    ):
        return f"{counted['mark']}{counted['count']} {counted['name']}{counted['done'] or ''}"
    behind = _BEHIND.match(text)
    if behind is None or _NO_FOOD.search(behind["name"]):
        return text
    if statements(text) and (statements(behind["name"] + " 6") or kind_of(behind["name"].split()[-1].lower())):
        return text  # "Buns: 12 large"
    told = read_amount(behind["rest"])
    if told is None:
        return text
    read = behind["rest"][: told[1]].rstrip(" ,")
    size = _SIZE.match(behind["rest"], len(read))
    end = size.end() if size else len(read)
    tail = behind["rest"][end:]
    name, _, done = behind["name"].removeprefix(behind["mark"]).partition(", ")
    # "Sugar: 24 g" may stand in a table of nutrition, and an amount that ends its line is found where it is.
    is_found = not tail.strip() and re.fullmatch(r"\s*(?:[:|]|[-–—~]+|\.{2,})\s*", behind["sign"])
    if is_found or not re.match(r"\s*(?:$|,\s|\()", tail):
        return text
    if told[0].unit is None and not told[0].size and size is None and not re.match(r",\s+[a-z]|\s*\(", tail):
        return text
    if name.lower() in (word_list("component") | word_list("verb")) - word_list("deed_food"):
        return text
    return f"{behind['mark']}{behind['rest'][:end].strip()} {name.strip()}{f', {done}' if done else ''}{tail}"


_SIZE = re.compile(
    r"\s*(?:very\s+)?(?:extra[- ]large|large|medium|small|big|little|ripe|heaped|level)\b(?!\s+[a-z])", re.I
)


def _is_measured(amount: str) -> bool:
    told = read_amount(amount.strip())
    return (
        told is not None and told[1] == len(amount.strip()) and (told[0].unit is not None or told[0].low < MOST_COUNTED)
    )


# Nobody counts more of a food than so many in a bracket before it (judgement).
MOST_COUNTED = 13
