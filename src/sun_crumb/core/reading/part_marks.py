"""Names of parts that a sign of their own marks over their foods, each put with a colon: "▷ case", "(sponge)", "B. Sharbat", "Nut pastry ---", "topping >> 50 g oats, 20 g sugar"."""

from __future__ import annotations

import re
from collections import Counter
from itertools import pairwise

from sun_crumb.core.reading.food_ends import foods_apart, is_food_with_amount
from sun_crumb.core.reading.items import LEAST_MARKED, SIGN, tells_a_food
from sun_crumb.core.reading.words import word_list

# "On the lattice ---"
_SIGN_BEHIND = re.compile(
    r"^\s*(?P<name>[^\W\d_][^\d.:;,]{2,30}?)\s*(?P<sign>-{2,}|–{2,}|—+|={2,}|~{2,}|\.{3}|…|>{1,2}|[-=]+>)\s*$"
)


def signed_behind(rows: list[str]) -> list[str]:
    """Return lines with a colon behind each name that the same sign follows as it does over other foods: "Nut pastry ---"."""
    found = [_SIGN_BEHIND.match(row) for row in rows]
    heads = Counter(
        one["sign"][:1]
        for n, one in enumerate(found[:-1])
        if one and tells_a_food(_MARK.sub("", rows[n + 1])) and not tells_a_food(rows[n])
    )
    signs = {sign for sign, many in heads.items() if many > 1}
    return [
        f"{one['name']}:" if one and one["sign"][:1] in signs else row for row, one in zip(rows, found, strict=True)
    ]


def named_apart(rows: list[str]) -> list[str]:
    """Return lines with a colon behind each name in brackets, or behind a letter, that stands by itself over a food: "(sponge)", "B. Sharbat"."""
    told = list(rows)
    for n, row in enumerate(rows[:-1]):
        named = _BRACKETED.match(row) or _LETTERED.match(row)
        stands_alone = n > 0 and not rows[n - 1].strip()
        numbered = _NUMBERED_PART.match(row)
        if numbered and tells_a_food(_MARK.sub("", rows[n + 1])):
            told[n] = f"{numbered['name']}:"
        elif named and stands_alone and tells_a_food(_MARK.sub("", rows[n + 1])):
            told[n] = f"{named['name']}:"
    return told


_BRACKETED = re.compile(r"\s*[(\[]\s*(?P<name>[^\W\d_][^\d()\[\]:;,.]{2,24}?)\s*[)\]]\s*:?\s*$")
_LETTERED = re.compile(r"\s*[A-H][.)]\s+[*_]{0,2}(?P<name>[^\W\d_][^\d()\[\]:;,.]{2,24}?)[*_]{0,2}\s*:?\s*$")
# "Part 1 (streusel)"
_NUMBERED_PART = re.compile(
    r"\s*(?:part|layer|step|bowl|stage)\s*(?:\d|one|two|three|four)\s*[(:–—-]\s*(?!(?:what|who|how|when|to)\b)(?P<name>[^\W\d_][^\d()\[\]:;,.]{2,24}?)\s*\)?\s*:?\s*$",
    re.I,
)
_MARK = re.compile(r"^\s*[^\w\s½¼¾⅓⅔⅛(]{1,3}\s*")


def signed_in_line(rows: list[str]) -> list[str]:
    """Return lines with a colon in place of the sign that stands between a part's name and its foods: "topping >> 1/3 c flour, 1/2 c brown sugar"."""
    told = list(rows)
    for n, row in enumerate(rows):
        named = _SIGN_BETWEEN.match(row)
        foods = _PLUS.sub(", ", row[named.end() :]) if named else ""
        if named and len(foods_apart(foods)) > 1:
            told[n] = f"{named['name']}: {foods}"
    return told


def told_in_words(rows: list[str]) -> list[str]:
    """Return lines with a colon in place of the words that lead in a part's foods: "For the crust you will need 180 g flour, 90 g butter"."""
    told = [_WORDS_BETWEEN.sub(r"\1: ", _COMMA_BETWEEN.sub(r"\1: ", _LIST_THEN_PART.sub("", row))) for row in rows]
    told = [_DEED_BETWEEN.sub(lambda found: f"{_PART_OF_DEED[found[1].lower()]}: ", row) for row in told]
    return [
        f"{named['name']}:" if (named := _FOR_WHAT.match(row)) and tells_a_food(_MARK.sub("", below)) else row
        for row, below in zip(told, [*told[1:], ""], strict=True)
    ]


def untailed(rows: list[str]) -> list[str]:
    """Return lines with a colon behind each part's name in place of what else is said of it over its foods: "Glaze - whisk together", "For the topping (makes 200 g):"."""
    told = list(rows)
    for n, (row, below) in enumerate(pairwise(rows)):
        tail = _TAIL.search(row)
        name = row[: tail.start()].strip(" *#_-–—:") if tail else ""
        words = re.findall(r"[^\W\d_]+", name.lower())
        is_part = bool(words) and len(words) <= MOST_NAME + 2 and words[-1] in _NO_FOOD_BY_ITSELF
        is_part = is_part and not re.search(r"\d", name)
        if tail and is_part and tells_a_food(_MARK.sub("", below)):
            told[n] = f"{' '.join(filter(None, (name, tail['more'])))}:"
    return told


# Parts whose names are no foods: "bread (for the pudding)" is one.
_NO_FOOD_BY_ITSELF = frozenset(
    [
        "topping",
        "toppings",
        "filling",
        "fillings",
        "glaze",
        "icing",
        "frosting",
        "syrup",
        "sauce",
        "streusel",
        "crumble",
        "buttercream",
        "ganache",
        "drizzle",
        "dough",
        "batter",
        "base",
        "compote",
        "meringue",
        "soak",
        "dressing",
        "swirl",
    ]
) & word_list("component")
# What is said of a part behind its name
_TAIL = re.compile(
    r"(?:,?\s+(?:you['’]ll need|you will need|you need)"
    r"|\s*:?\s*\((?:makes\s+(?:about\s+)?\d+\s*(?:g|ml|cups?)\b[^()]{0,20}|(?:enough|for|optional|see)\b[^()\d]{0,32})\)"
    r"|,\s*(?:optional|if (?:you like|liked|using|wanted))"
    r"|\s+[-–—]\s+(?:whisk|mix|beat|stir|blend|whizz|combine|melt)\s+(?:it\s+|all\s+|everything\s+)?together"
    r"|\s+to (?:pour|spoon|drizzle|spread|brush|go) (?:over|on|on top)"
    r"|\s+no\.?\s*(?P<more>\d))\s*[:.]?\s*$",
    re.I,
)

# "Fill - 12 tsp raspberry jam", in a list that dashes lead through
_PART_OF_DEED = {
    "fill": "Filling",
    "dust": "To dust",
    "coat": "To coat",
    "finish": "To finish",
}
_DEED_BETWEEN = re.compile(
    rf"^\s*({'|'.join(_PART_OF_DEED)})(?::| +[-–—]+) +(?=[\d½¼¾⅓⅔][\d½¼¾⅓⅔./-]*\s*(?:g|ml|oz|tsp|tbsp|cups?)\b)", re.I
)
# "Dough............for one 30 cm galette", over its foods
_FOR_WHAT = re.compile(
    r"^\s*(?P<name>[^\W\d_][^\d.:;,()–—-]{2,24}?)\s*(?:\.{2,}|…|:|\s[-–—]+)\s*(?:enough |sufficient )?(?:for|to make|makes) (?:one|an?|1|two|2) [^.;,/&+]{3,40}$",
    re.I,
)

# "Ingredients: For the pastry, 350 g plain flour"
_LIST_THEN_PART = re.compile(
    r"^\s*ingredients\s*(?::\s+(?=for the\b)|[-–—(]+\s*(?:for\s+(?:the\s+)?)?(?=[a-z]{3,16}(?:\s[a-z]{3,12})?\W{0,6}:\s))",
    re.I,
)


# "For the cake, 150 g of soft butter", "On top, 400 g of plums", "To glaze, 1 egg"
_COMMA_BETWEEN = re.compile(
    r"(?:^|(?<=[.;] ))((?:For the [^\W\d_]+(?: [^\W\d_]+)?)|To (?:glaze|finish|serve|decorate|top|dust)|On top|Underneath|Inside|In the middle), (?=[\d½¼¾⅓⅔])"
)
_WORDS_BETWEEN = re.compile(
    r"\b((?:For|To make) (?:the |our |your |a )?(?!this\b|it\b|that\b|these\b|them\b|each\b|one\b|me\b|us\b)[^\W\d_]+(?: [^\W\d_]+)?),? (?:you(?:['’]ll| will| are going to)?|we(?:['’]ll| will)?|I(?:['’]ll| will)?|have|take|use)(?: (?:need|want|take|use|have))?(?: ready)?:? (?=[\d½¼¾⅓⅔⅛]|an? (?:cup|pinch|tin|tea|table|pound|pint)|half an? |one |two |three |four |six )"
)
# "BASE = 150 g almonds + 50 g dates"
_PLUS = re.compile(r"\s+\+\s+(?=[\d½¼¾⅓⅔⅛]|an?\s|pinch\b)")
_SIGN_BETWEEN = re.compile(
    r"\s*(?P<name>[^\W\d_][^\d.:;,()]{2,24}?)\s*(?:>{1,3}|:{2,}|\s=(?!=)|[=-]+>|→|»|⇒|➜|~+|\.{2,}|…)\s*(?=[\d½¼¾⅓⅔⅛])"
)


def lettered(rows: list[str]) -> list[str]:
    """Return lines without the letters that begin them in turn, each before its foods: "A  250 g butter, 5 eggs" and "B  30 g cocoa"."""
    found = [_LETTER_FIRST.match(row) for row in rows]
    letters = [one["letter"] for one in found if one]
    if letters[:2] != ["A", "B"] or letters != sorted(set(letters)):
        return rows
    return [row[one.end() :] if one else row for row, one in zip(rows, found, strict=True)]


_LETTER_FIRST = re.compile(r"\s*(?P<open>\()?(?P<letter>[A-D])(?(open)\))\s+(?=[\d½¼¾⅓⅔])")


def headed(rows: list[str]) -> list[str]:
    """Return lines with a colon behind each name that a sign of its own marks over the items of a list: "▷ case" over "▸ 150 g flour"."""
    found = [SIGN.match(row) for row in rows]
    counted = Counter(one["sign"] for one in found if one)
    told = list(rows)
    for n, one in enumerate(found[:-1]):
        below = found[n + 1]
        if one is None or below is None or below["sign"] == one["sign"] or counted[below["sign"]] < LEAST_MARKED:
            continue
        name, item = rows[n][one.end() :].strip(), rows[n + 1][below.end() :]
        is_name = len(name.split()) <= MOST_NAME and not re.search(r"[\d:.]", name) and name[-1:].isalpha()
        if is_name and counted[one["sign"]] < counted[below["sign"]] and is_food_with_amount(item):
            told[n] = f"{name}:"
    return told


# A name over a list has so many words.
MOST_NAME = 4
