"""A number as a recipe counts with it, and what it counts: pieces, people, what pieces are cut from, or a quantity."""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.quantities.numbers import WORDS
from sun_crumb.core.reference import table

# More portions than this are none [1] (judgement).
MOST = 400
# The number words that may count portions; "a few" and "half" tell no number of them, and a dozen goes by itself.
_ONES = {w: int(n) for w, n in WORDS.items() if n >= 1 and w not in ("dozen", "few", "several", "hundred")}
_WORD = r"(?:" + "|".join(sorted(_ONES, key=len, reverse=True)) + r")"
_TENS = r"(?:twenty|thirty|forty|fifty)[- ](?:one|two|three|four|five|six|seven|eight|nine)"
_ONE_NUMBER = rf"(?:\d{{1,3}}(?![\d.,/°]\d|\s*[½⅓¼¾]|/)|{_TENS}|\b{_WORD}\b)"
NUMBER = re.compile(
    rf"(?<![\w.,/½⅓⅔¼¾-])(?P<low>{_ONE_NUMBER})(?:\s*(?:-|–|—|to|or|à|bis|till?|tot)\s*(?P<high>{_ONE_NUMBER}))?"
    rf"(?:\s+(?:a\s+)?(?P<half>half\s+))?(?P<dozen>\s*(?:a\s+)?(?:dozen|doz)\b\.?(?:\s+of)?)?"
    rf"|(?P<lone>\b(?:half\s+a|a\s+half|a)?\s*(?:dozen|doz)\b\.?(?:\s+of)?)",
    re.I,
)
# A number of portions, with no group of its own.
NUMBER_PLAIN = re.sub(r"\?P<\w+>", "?:", NUMBER.pattern)
MEASURE_AFTER = re.compile(
    r"^\s*[-–]?\s*(?:(?:x|×|by)\s*\d+(?:\s*(?:cm|inch(?:es)?|in\b|\"))?|°|º|%|(?:g|gr|gms?|grams?|kg|kilos?|mg|lbs?|pounds?|oz|ounces?|ml|cl|dl|l|litres?|liters?|pints?|quarts?|"
    r"cups?|tbsps?|tsps?|tablespoons?|teaspoons?|cm|mm|inch(?:es)?|in\b(?!\s+(?:small |little |large |tall |pretty )?(?:glasses|bowls|pots|ramekins|cups|dishes|all|total)\b)|\"|″|”|min(?:ute)?s?|hours?|hrs?|h|secs?|seconds?|days?|weeks?|months?|years?|"
    r"degrees?|deg|c|f|kcal|cal(?:orie)?s?|times?)\b(?!\w))",
    re.I,
)


@cache
def counting_words(kind: str) -> frozenset[str]:
    """Return the words of one *kind* of portion_words.csv."""
    return frozenset(next(row["words"] for row in table("portion_words") if row["kind"] == kind).split())


@dataclass(frozen=True, slots=True)
class Count:
    """A number as written, with the noun it counts and what that noun is: piece, person, whole, other, or empty for none."""

    low: int
    high: int
    noun: str
    kind: str
    end: int
    is_small: bool = False


def read_count(text: str, at: int = 0, *, is_bare: bool = False) -> Count | None:
    """Return the number at *at* with what it counts, or None where none stands there or it counts a quantity.

    Where nothing introduces the number (*is_bare*) only words for size may stand before the noun: "12 sponge fingers" are food.

    Examples
    --------
    >>> c = read_count("about two dozen small cookies")
    >>> c.low, c.noun, c.kind
    (24, 'cookie', 'piece')
    >>> read_count("40 minutes") is None
    True
    """
    at = skip(text, at, counting_words("about"))
    at += len(re.match(r"[~≈\s]*", text[at:])[0])  # type: ignore[index]
    at = guests.end() if (guests := _A_TABLE_OF.match(text, at)) else at
    if dozens := DOZENS_AND_A_HALF.match(text, at):
        many = 12 * int(dozens[1]) + 6
        return _with_noun(text, dozens.end(), many, many, is_bare=is_bare)
    found = NUMBER.match(text, at)
    if not found:
        return None
    if found["high"] and _number(found["high"]) < _number(found["low"]):
        # "12 - 4 g carbohydrate each": no range falls.
        found = NUMBER.match(text, at, found.end("low")) or found
    low, high = value_of(found)
    if _SIDE_OF_A_TIN.match(text, found.end()):
        return None  # "one tray (40 x 30 cm)"
    if 1 <= low <= MOST and (each := OF_A_SIZE.match(text, found.end())):
        count = _with_noun(text, each.end(), low, max(high, low), is_bare=is_bare)
        if count.kind == "whole" and low >= LEAST_SIDE and re.search(r"cm|in|\"", each[0]):
            return None  # "20 x 30 cm tin"
        if not is_bare and low >= LEAST_EATEN_WHOLE and not re.match(r"[\s-]*\w", text[each.end() :]):
            return Count(low, max(high, low), "piece", "piece", each.end())  # "about 20 x 6cm"
        return count if count.kind in ("whole", "piece") else None
    behind = _AND_A_PART.match(text, found.end())
    if behind and MEASURE_AFTER.match(text[behind.end() :]):
        return None  # "3 1/2 cups"
    if not 1 <= low <= MOST or (MEASURE_AFTER.match(text[found.end() :]) and not _ARTICLE.match(found[0])):
        return None
    count = _with_noun(text, found.end(), low, max(high, low), is_bare=is_bare)
    # "a crowd" is no number.
    is_article = re.fullmatch(r"an?", found[0], re.I) is not None
    return None if is_article and count.kind != "whole" else count


_AND_A_PART = re.compile(r"\s*(?:½|¼|¾|⅓|⅔|[1-3]/[2-8])(?!\d)")
# "2½ dozen"
DOZENS_AND_A_HALF = re.compile(r"(\d{1,2})\s*(?:½|1/2|\.5|and a half)\s*(?:dozen|doz\b\.?|dz\b\.?)", re.I)
# "2 x 450 g loaves": so many of a size.
OF_A_SIZE = re.compile(
    r"\s*[x×]\s*\d+(?:[.,]\d+)?\s*-?\s*(?:cm|inch(?:es)?|in|\"|g|kg|lbs?|oz|ml)(?=[\s-]|$|[),.;])", re.I
)
# A tin has no side shorter than this, and nobody bakes so many tins [cm or inches] (judgement).
LEAST_SIDE = 7
# "feeds a class of 30"
_A_TABLE_OF = re.compile(
    r"(?:an?|the|our|my)\s+(?:whole\s+)?(?:class|party|crowd|table|family|group|tribe|team)\s+of\s+", re.I
)
_SIDE_OF_A_TIN = re.compile(r"\s*(?:cm|in|\"|″)?\s*[x×]\s*\d+(?:[.,]\d+)?\s*(?:cm|mm|in|inch(?:es)?|\"|″)\s*\)", re.I)
_ARTICLE = re.compile(r"(?:an?|one|1)\b", re.I)


def value_of(found: re.Match[str]) -> tuple[int, int]:
    """Return the least and the most that a number as written tells: "two dozen", "8 to 10"."""
    if found["lone"]:
        count = 6 if "half" in found["lone"].lower() else 12
        return count, count
    low, high = _number(found["low"]), _number(found["high"] or found["low"])
    if found["dozen"]:
        low, high = 12 * low, 12 * high
        if found["half"]:
            low, high = low // 2, high // 2
    return low, high


def _number(text: str) -> int:
    text = text.lower().strip()
    if text.isdigit():
        return int(text)
    return sum(_ONES[part] for part in re.split(r"[- ]", text))


def skip(text: str, at: int, words: Iterable[str]) -> int:
    """Return where *text* goes on behind blanks and any of *words*."""
    known = set(words)
    while match := re.compile(r"\s*([\w.~≈-]+)\s*").match(text, at):
        if match[1].lower().rstrip(".") not in known:
            break
        at = match.end()
    return at + len(text[at:]) - len(text[at:].lstrip())


def _with_noun(text: str, at: int, low: int, high: int, *, is_bare: bool = False) -> Count:
    """Return a count with the noun behind it, through words for size ("12 generous slices", "10-inch cake")."""
    sized = _SIZE.match(text, at)
    start, is_small = sized.end() if sized else at, False
    for _ in range(6):
        if size := _SIZE.match(text, at):
            at = size.end()
        match = re.compile(r"[\s-]*([^\W\d_][\w'’éèêâ-]*)", re.I).match(text, at)
        if not match:
            break
        word = match[1].lower().replace("’", "'")
        kind = kind_of(word)
        if kind in ("piece", "whole") and (holder := _HOLDER_AFTER.match(text, match.end())):
            # "a square pan", "a loaf tin": what it is baked in, not what is eaten.
            word, kind, match = holder[1].lower(), "whole", holder
        if kind == "piece" and sized and (shaped := _SHAPED_WHOLE.match(text, match.end())):
            # "one 9-inch square cake": its shape, and no piece.
            word, kind, match = shaped[1].lower(), "whole", shaped
        if kind in ("piece", "person", "whole"):
            one = "piece" if word in counting_words("abroad") else _IN_FULL.get(word, singular(word))
            kind = "piece" if kind == "whole" and _is_eaten_whole(one, low, is_small=is_small) else kind
            return Count(low, high, one, kind, match.end(), is_small)
        if word in counting_words("stop") or (is_bare and word not in counting_words("small")):
            break
        is_small = is_small or word in ("mini", "individual", "small", "little", "tiny")
        at = match.end()
    last = re.compile(r"\s*([^\W\d_][\w'’-]+s)\b", re.I).match(text, skip(text, start, counting_words("small")))
    if (
        not is_bare
        and last
        and last[1].lower() not in counting_words("stop")
        and low >= 4
        and kind_of(last[1].lower()) != "measure"
    ):
        return Count(low, high, singular(last[1].lower()), "other", last.end())
    if last and not is_bare and last[1].lower() not in counting_words("stop") and kind_of(last[1].lower()) != "measure":
        return Count(low, high, singular(last[1].lower()), "thing", last.end())  # two layers, two sheets: no portions
    return Count(low, high, "", "", start)


# "12 sl.", "16 sq"
_IN_FULL = {"sl": "slice", "sls": "slice", "sq": "square", "sqs": "square"}
_SHAPED_WHOLE = re.compile(
    r"[\s-]+(?:layer[\s-]+)?(cakes?|tarts?|pies?|loaf|loaves|tortes?|cheesecakes?|flans?|galettes?)\b", re.I
)
_HOLDER_AFTER = re.compile(r"[\s-]+(pans?|tins?|trays?|dish(?:es)?|moulds?|molds?|sheets?)\b", re.I)
# How large the thing is that is counted: "one 10-inch cake", "a 2-lb loaf".
_SIZE = re.compile(
    r"[\s-]*(?P<open>\()?\d+(?:[.,/]\d+)?\s*(?:(?:x|×|by)\s*\d+\s*)?[- ]?(?:cm|inch(?:es)?|in\b|\"|″|lbs?|pound|g|kg|oz|pints?|litres?|liters?|l\b|ml)\.?(?(open)\))(?=[\s-])",
    re.I,
)


def _is_eaten_whole(one: str, count: int, *, is_small: bool) -> bool:
    """Return whether so many of something are eaten one by one: twelve cakes are, two are cut, and a small jar is no portion."""
    if one in ("mould", "mold", "shell") and count >= LEAST_EATEN_WHOLE:
        return True  # "6 moulds", "18 shells": one for each
    if one in counting_words("holder"):
        return False
    return is_small or (count >= LEAST_EATEN_WHOLE and one in counting_words("eaten_whole"))


LEAST_EATEN_WHOLE = 4


def kind_of(word: str) -> str:
    """Return what a word counts: piece, person, whole, measure, or empty."""
    one = singular(word)
    for kind in ("piece", "person", "whole", "measure"):
        if kind == "piece" and word in counting_words("abroad"):
            return kind
        if word in counting_words(kind) or one in counting_words(kind):
            return kind
    return ""
