"""Words that sound like a food of the list and are none: something to do, what greases the tin, baking paper."""

from __future__ import annotations

import re

from sun_crumb.core.method.names import Names
from sun_crumb.core.method.sentences import verb_of

# How far before a food its words may begin [characters].
NEAR = 90
# A tin is buttered, a surface floured, with no line of the list.
FOR_THE_TIN = re.compile(
    r"^\s*(?:(?:and\s+|then\s+|and\s+then\s+)(?:line|flour|base-line)|(?:(?:an?|the|your|two|2|each|\d+)\s+(?:[\w.-]+\s+){0,5}?)?(?:tins?|pans?|dish(?:es)?|trays?|moulds?|molds?|basin|sheets?|ramekins?|surface|worktop|board|sides|paper|cases|rings?))\b",
    re.I,
)
_GREASED_WITH = re.compile(
    r"\b(?:butter|grease|oil)\w*\b[^.;]{0,60}\b(?:tins?|pans?|dish(?:es)?|trays?|moulds?|ramekins?)\b[^.;]{0,16}\b(?:dust|sprinkle|coat|flour)\w*\s+(?:it\s+|them\s+|the inside\s+)?(?:lightly\s+)?with\s+(?:a\s+little\s+|some\s+|the\s+)?$|"
    r"\b(?:greas\w+|brush|rub|oil|line|dust)\b[^.;]{0,60}?\b(?:tins?|pans?|dish(?:es)?|trays?|moulds?|paper|surface)\b[^.;]{0,30}?\bwith\s+(?:a\s+little\s+|some\s+|the\s+)?$",
    re.I,
)
_ICING = frozenset({"icing", "powdered", "confectioner", "confectioners"})
_KINDS_OF_SUGAR = frozenset({"demerara", "muscovado", "pearl", "palm", "coconut", "vanilla", "maple", "turbinado"})
_BAKING_THINGS = frozenset(
    {"paper", "parchment", "sheet", "tray", "tin", "dish", "pan", "bean", "mat", "stone", "time"}
)
# "Over barely simmering water": it warms the bowl, and goes into nothing.
_BATH = re.compile(
    r"\bover\s+(?:an?\s+(?:sauce)?pan\s+of\s+)?(?:(?:barely|gently|just|hot|simmering|boiling|steaming)\s+)+$", re.I
)
_SIDE_UP = re.compile(r"[\s-]+sides?[\s-]+(?:up|down|uppermost|outwards?|out|in)\b", re.I)
_DUSTED_WITH = re.compile(
    r"\b(?:paper|parchment|cloth|towel|surface|board|worktop|work surface)\s+(?:\w+\s+)?(?:dusted|sprinkled|dredged|scattered)\s+with\s+(?:\w+\s+){0,2}$",
    re.I,
)
# The beans that weigh down a pastry case.
_BLIND = re.compile(
    r"\bblind\b|\b(?:baking|ceramic|with(?:out)?|out|remove the|rice (?:and|or)) beans\b|\bbeans (?:and paper|out)\b",
    re.I,
)


def words_of_no_food(text: str, words: list[tuple[int, int, str]], at: int, names: Names) -> int:
    """Return how many words at *at* sound like a food and are none: baking paper, icing sugar that the list has none of, a water bath."""
    word, after = words[at][2], words[at + 1][2] if at + 1 < len(words) else ""
    if word == "baking" and after in _BAKING_THINGS:
        return 2  # baking paper is no baking powder
    if word in _ICING and after == "sugar" and not names.meant((word, "sugar")) and not names.meant(("icing", "sugar")):
        return 2  # icing sugar that the list has none of is no other sugar
    if word in _KINDS_OF_SUGAR and after == "sugar" and not names.meant((word, "sugar")) and not names.meant((word,)):
        return 2  # "1 tbsp demerara sugar", that the list has none of
    if word == "bean" and _BLIND.search(text):
        return 1
    if _SIDE_UP.match(text, words[at][1]) or _DUSTED_WITH.search(text[: words[at][0]]):
        return 1  # "leave to set chocolate side up"; "paper dusted with icing sugar": none of the list's
    return 1 if word == "water" and _BATH.search(text[: words[at][0]]) else 0


# The last of what is heated or stirred: "heat the chocolate and", "simmer sugar, butter and".
_LISTED_LAST = re.compile(
    r"\b(?:heat|warm|melt|simmer|boil|scald|whip|whisk|bring|combine|mix|stir|blend|put|place|pour|bubble|add)\b[^.;]*\w\s+(?:and|&|\+)\s+(?:the\s+)?$",
    re.I,
)
_CREAMED = re.compile(
    r"\s+(?:together\s+)?(?:the\s+|your\s+|both\s+)?(?:(?!and\b|with\b|in\b|or\b|over\b|to\b)\w+\s+)?(?:butter|margarine|shortening|sugars?|fats?)\b",
    re.I,
)
_PREPARES_TOO = re.compile(
    r"\s*(?:,|and\b|&|,\s*and\b)\s*(?:quarter|core|halve|slice|chop|dice|stone|grate|segment|cut|deseed|peel|squeeze|mash)\b",
    re.I,
)


def is_verb(text: str, start: int, end: int, word: str) -> bool:
    """Return whether a word that names a food is something to do here: "cream the butter", "flour a board"."""
    if not verb_of(text[start:end]) and word not in ("flour", "oil", "sugar"):
        return False
    if word == "spread" and not text[:start].strip():
        return True  # "Spread topping": no fat called spread
    if word == "cream" and _LISTED_LAST.search(text[:start]) and not _CREAMED.match(text[end:]):
        return False  # "heat the chocolate and cream gently"
    if word == "cream" and _CREAMED.match(text[end:]):
        return True  # "In a large bowl cream the butter and sugar"
    before = text[max(0, start - NEAR) : start].rstrip()
    begins = (
        not before
        or before[-1] in ".,;:("
        or bool(re.search(r"\b(?:and|then|to|or|meanwhile|now|next|gently|well|first|finally|lightly)$", before, re.I))
    )
    after = text[end:]
    if not begins:
        return False
    if word in ("peel", "core", "zest", "juice") and _PREPARES_TOO.match(after):
        return True  # "Peel, quarter and core the quinces"
    if word in ("cream", "zest", "juice", "dust", "core", "top", "slice"):
        if word in ("zest", "juice") and re.match(r"\s+together\b", after):
            return False  # "whisk the eggs, zest and juice together"
        return bool(re.match(r"\s+(?:the|your|together|both|\w+)", after)) and not re.match(
            r"\s*(?:,|and\b|with\b|in\b|until\b|to\b|just\b|almost\b|nearly\b|over\b|for\s+(?:about\s+)?\d)", after
        )
    return bool(FOR_THE_TIN.match(after)) or bool(re.match(r"\s+(?:the|your|an?)\b", after))


def is_for_the_tin(text: str, start: int, end: int) -> bool:
    """Return whether a food here only greases or dusts what is baked in."""
    return bool(_GREASED_WITH.search(text[max(0, start - 2 * NEAR) : start])) or bool(
        re.search(
            r"\b(?:well|lightly)?-?(?:greased|buttered|floured|oiled|lined)\s+(?:and\s+\w+\s+)?$",
            text[max(0, start - NEAR) : start],
            re.I,
        )
        and re.match(r"\s*(?:tin|pan|dish)", text[end:], re.I)
    )
