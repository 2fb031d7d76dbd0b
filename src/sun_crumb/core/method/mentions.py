"""Where the words of a step speak of ingredient lines, and of how much of them."""

from __future__ import annotations

import re
from functools import cache

from sun_crumb.core.method.how_much import (
    ALL_BUT,
    AMOUNT_BEFORE,
    FRACTION_BEFORE,
    amount_before,
    fraction_before,
    measured_before,
)
from sun_crumb.core.method.names import LONGEST, Names, Phrase
from sun_crumb.core.method.no_food import FOR_THE_TIN, NEAR, is_for_the_tin, is_verb, words_of_no_food
from sun_crumb.core.method.said import Part, Said
from sun_crumb.core.pantry.names import fold, singular
from sun_crumb.core.reading.records import Amount
from sun_crumb.core.reference import table

# More mentions than these are no step's.
MOST_SAID = 80
_WORD = re.compile(r"[^\W\d_][^\W\d_'’]*")
# "the butter mixture", "hot milk mixture": what is in already.
_MIXTURE = re.compile(
    r"^[\s-]*(?:mixture|mix\b|batter|paste mixture|layer|foam|mass|cakes?\b|crumble\b|pie\b(?!\s+(?:crust|filling|case|dish))|muffins?\b)",
    re.I,
)
_GREASES = frozenset(
    [
        "butter",
        "oil",
        "margarine",
        "lard",
        "shortening",
        "ghee",
        "flour",
        "sugar",
        "cocoa",
        "crumb",
        "breadcrumb",
        "semolina",
    ]
)
_REST = re.compile(
    r"\b(?:remaining|rest of(?: the)?|remainder of(?: the)?|other half(?: of(?: the)?)?|leftover|last of the|reserved|final)\s+(?:[\w-]+\s+){0,2}?$",
    re.I,
)
_MOST = re.compile(r"\b(?:most|nearly all|almost all)\s+(?:of\s+)?(?:the\s+)?(?:[\w-]+\s+){0,2}?$", re.I)
_LITTLE = re.compile(
    r"\b(?:(?:a\s+)?(?:little|bit|spoonful|splash|few|handful|spoon|drop|teaspoon|tablespoon|ladle\w*)|some)\s+(?:(?:more\s+)?of\s+)?(?:the\s+)?(?:[\w-]+\s+){0,2}?$",
    re.I,
)
_BOTH = re.compile(r"\b(?:both|all(?: the| three)?|the two|two|three)\s+(?:kinds of |types of )?$", re.I)


def said_lines(text: str, names: Names) -> list[Said]:
    """Return every mention of a line in one step's *text*, in order; what greases a tin takes the part "tin".

    The longest phrase wins; "cream the butter" is something to do, and no cream.
    """
    words = [(m.start(), m.end(), _whole_word(m[0])) for m in _WORD.finditer(text)]
    found: list[Said] = []
    at = 0
    while at < len(words) and len(found) < MOST_SAID:
        said = _said_at(text, words, at, names)
        if said is None:
            at += 1
            continue
        one, size = said
        if one is not None:
            found.append(one)
        at += size
    return found


def _whole_word(word: str) -> str:
    """Return a word as names have it: folded, for one, and in full where a hand in a hurry shortens it ("flr")."""
    folded = fold(word)
    return singular(_in_full().get(folded, folded))


@cache
def _in_full() -> dict[str, str]:
    rows = [(row["short"], row["words"]) for row in table("short_words")]
    return {short: words for short, words in rows if " " not in short and " " not in words}


# "b.p."
_INITIALS = re.compile(r"\w\.\s?\w")
# Words for all foods of a kind.
OF_A_KIND = frozenset({("fruit",)})


def _said_at(text: str, words: list[tuple[int, int, str]], at: int, names: Names) -> tuple[Said | None, int] | None:
    if skipped := words_of_no_food(text, words, at, names):
        return None, skipped
    for size in range(min(LONGEST, len(words) - at), 0, -1):
        start, end = words[at][0], words[at + size - 1][1]
        if (
            size > 1
            and re.search(r"[^\s'’-]", re.sub(r"\w", "", text[start:end]))
            and not _INITIALS.fullmatch(text[start:end])
        ):
            continue
        phrase = tuple(w for _, _, w in words[at : at + size])
        lines = names.meant(phrase)
        if not lines:
            continue
        if phrase == ("spice",) and text[start:end].lower().endswith("s") and len(lines) > 1:
            lines = dict.fromkeys(
                lines, max(lines.values())
            )  # "the spices": all of them, and not the mixed spice alone
        if phrase in OF_A_KIND:
            # "the fruit" is the strawberries as much as the passion fruit.
            lines = dict.fromkeys(lines, max(lines.values()))
        if (
            size == 1
            and (part := _PART_OF.search(text[:start]))
            and (parts := names.meant((phrase[0], part[1].lower())))
        ):
            lines = parts  # "the juice of the lemon" is no zest
        if size == 1 and is_verb(text, start, end, phrase[0]):
            is_spread = FOR_THE_TIN.match(text[end:]) or (phrase[0] == "butter" and _BUTTERED.match(text[end:]))
            return (Said(start, end, phrase, lines, "tin"), 1) if is_spread else (None, 1)
        if phrase[-1] in _GREASES and is_for_the_tin(text, start, end):
            return Said(start, end, phrase, lines, "tin"), size
        return _said(text, start, end, phrase, lines), size
    return None


# "Butter the bread": with the butter of the list.
_BUTTERED = re.compile(
    r"\s+(?:the|each|your|both|one|all)\s+(?:\w+\s+){0,2}?(?:bread|slices?|toast|brioche|croissants?|buns?|sides?|scones?|panettone|baguette|crumpets?|rounds?)\b",
    re.I,
)
_PART_OF = re.compile(
    r"\b(zest|juice|rind)\s+(?:of|from)\s+(?:(?:the|an?|one|two|both|half|other|[\d½¼¾]+)\s+){0,3}$", re.I
)


def _said(text: str, start: int, end: int, phrase: Phrase, lines: dict[int, int]) -> Said:
    before = re.split(r"[,;.(]|\b(?:and|with|into|over|then|add|in)\b", text[max(0, start - NEAR) : start])[-1]
    at = start - len(before)
    is_many = fold(text[start:end]).endswith("s") and not phrase[-1].endswith("s")

    def said(
        part: Part,
        found: re.Match[str] | None = None,
        share: float = 1.0,
        amount: Amount | None = None,
        *,
        many: bool = is_many,
        lead: int | None = None,
    ) -> Said:
        return Said(
            start=start,
            end=end,
            phrase=phrase,
            lines=lines,
            part=part,
            share=share,
            amount=amount,
            is_many=many,
            lead=lead if lead is not None else at + found.start() if found else start,
            is_all_but=part == "amount" and bool(found and ALL_BUT.search(before[: found.start()])),
        )

    if _MIXTURE.match(text[end:]) or (phrase in OF_A_KIND and _COOKED_BEFORE.search(before)):
        return said("back")
    if (rest := _REST.search(before)) or _THAT_WAS_KEPT.match(text[end:]):
        return said("rest", rest)
    kept = _KEEPING_BACK.search(text[:start])
    # "Fruit (keep back a handful of raspberries)": all but so much of them goes in.
    if share := 1 - (fraction_before(kept["much"]) or KEPT_BACK) if kept else 0.0:
        return said("share", kept, share, lead=kept.start("much") if kept else None)
    amount = amount_before(before)
    if measured := measured_before(before, amount):
        return said("amount", measured[1], amount=measured[0])
    if share := fraction_before(before):
        return said("share", FRACTION_BEFORE.search(before), share)
    if found := _MOST.search(before):
        return said("most", found, 0.8)
    if amount is not None:
        return said("amount", AMOUNT_BEFORE.search(before), amount=amount)
    if found := _LITTLE.search(before):
        return said("little", found, 0.1)
    both = _BOTH.search(before)
    return said("whole", both, many=is_many or bool(both))


# "the roasted fruit", that was cooked before
_COOKED_BEFORE = re.compile(r"\b(?:roasted|stewed|poached|baked|cooked|macerated|grilled|caramelised)\s+$", re.I)
# "the raspberries you kept"
_THAT_WAS_KEPT = re.compile(
    r"\s+(?:(?:that\s+)?(?:you|we|i)(?:['’]ve)?\s+)?(?:kept|saved|reserved|held|set aside)\b(?:\s+(?:back|aside))?",
    re.I,
)
_KEEPING_BACK = re.compile(
    r"[(,–-]\s*(?:but\s+)?(?:keep|keeping|hold|holding|save|saving|reserve|reserving)\s+(?:back\s+|aside\s+)?(?P<much>(?:an?\s+)?(?:few|handful|little|half|quarter|third|spoonful|some)\s+(?:of\s+)?(?:the\s+)?)$",
    re.I,
)
# What a handful or a few are of a line [share] (judgement).
KEPT_BACK = 0.1
