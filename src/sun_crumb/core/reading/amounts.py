"""Amounts at a place in a line: a quantity, its packing or size, its unit."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from functools import cache

from rapidfuzz.distance import DamerauLevenshtein

from sun_crumb.core.quantities.measures import unit_words, units, words_alone
from sun_crumb.core.quantities.numbers import read_quantity
from sun_crumb.core.reading.records import Amount
from sun_crumb.core.reading.remembered import remembered
from sun_crumb.core.reading.words import FORMS, HEAPS
from sun_crumb.core.reference import table

_ABOUT = re.compile(
    r"(?:about|approx(?:\.|imately)?|around|roughly|circa|ca\.?|c\.|~|≈|up to|at least|(?:just |a little )?(?:under|over)|nearly|almost"
    r"|a (?:good|full|bare)|a)\s+(?=[\d½⅓⅔¼¾⅛])|(?:about|around|roughly)\s+(?=(?:two|three|four|five|six|seven|eight|nine|ten|twelve)\b)",
    re.I,
)
_WORD = re.compile(r"\s*-?\s*(fl\.?\s?oz\.?|fluid\s+ounces?|cuill[eè]res?\s+à\s+(?:soupe|café)|[^\W\d_]+)\.?", re.I)
_TIMES = re.compile(r"\s*[x×*]\s*(?=[\d½])", re.I)
_SIZE = re.compile(
    r"\s*\b(extra[ -]large|x-?large|small|medium|large|jumbo|big|xl|lge|lrg|lg|smal?|sm|med|md)(?:[ -]sized?)?\b\.?,?",
    re.I,
)
_PACK = re.compile(
    r"\s*\(?\b((?:lightly|firmly|loosely|well|tightly)\s+)?(" + "|".join([*HEAPS, *FORMS]) + r")\b\)?", re.I
)


_FORM = re.compile(r"\b(" + "|".join(FORMS) + r")\b", re.I)


_HEAP_FIRST = re.compile(
    r"(?:\ban?\s+(?=\w+\s+[\d½⅓⅔¼¾⅛]))?\b(" + "|".join(HEAPS) + r")\s+(?=[\d½⅓⅔¼¾⅛]|[A-Za-z]+)", re.I
)
_AND_A_HALF = re.compile(r"\s+and\s+(?:a\s+(half|quarter|third)|three\s+(quarters))\b(?:\s+of\b)?", re.I)
_HALVES = {"half": 0.5, "quarter": 0.25, "third": 1 / 3, "quarters": 0.75}
_OF_A = re.compile(r"\s+(?:of\s+)?an?\s+", re.I)
_SIZED_PIECE = re.compile(r"[- ]?(?:sized?|length)\s*(?:piece|knob|chunk)?(?:\s+of\b)?", re.I)
_FOND = re.compile(r"\s*\b(?:good|generous|tiny|little|nice|hearty|brimming|flat)\b(?=\s)", re.I)


_SIZES = {
    "big": "large",
    "xl": "extra large",
    "xlarge": "extra large",
    "x large": "extra large",
    "jumbo": "extra large",
} | {
    **dict.fromkeys(("lg", "lge", "lrg"), "large"),
    **dict.fromkeys(("sm", "smal"), "small"),
    **dict.fromkeys(("med", "md"), "medium"),
}


def _size(word: str) -> str:
    word = word.lower().replace("-", " ")
    return _SIZES.get(word, word)


def read_unit(text: str, start: int) -> tuple[str, int] | None:
    """Return the unit key that stands at *start* and where it ends, or None."""
    match = _WORD.match(text, start)
    if not match:
        return None
    word = match.group(1)
    known = unit_words()
    if word in ("T", "t"):
        return known[word], match.end()
    key = known.get(re.sub(r"[\s.]+", " ", word.lower()).strip())
    if key is None and re.match(r"fl\.?\s?oz", word, re.I):
        key = "fl oz"
    if key is None:
        key = _misspelt_unit(word.lower())
    if key is None:
        return None
    # "1 c" is a cup, but "1 C of butter" too; a lone g, l or c glued to letters was already refused by the pattern.
    return key, match.end()


@cache
def _misspelt_unit(word: str) -> str | None:
    """Return the unit that a word of five letters or more misses by one slip ("tablspoon"), unless it is part of a food's name."""
    if len(word) < 5 or not word.isascii() or word in _food_words():
        return None
    found = [
        key
        for name, key in unit_words().items()
        if len(name) >= 5 and DamerauLevenshtein.distance(word, name, score_cutoff=1) <= 1
    ]
    return found[0] if len(set(found)) == 1 else None


@cache
def _food_words() -> frozenset[str]:
    return frozenset(word for row in table("pantry_names") for word in re.findall(r"[a-z]+", row["name"]))


@remembered
def read_amount(
    text: str, start: int = 0, *, words: bool = True, needs_unit: bool = False
) -> tuple[Amount, int] | None:
    """Return the amount at *start* and where it ends, or None where none stands there.

    "2 x 400 g" and "1 (14 oz) can" multiply out to one amount.
    """
    at = start
    while at < len(text) and text[at] in " \t(":
        at += 1
    about = _ABOUT.match(text, at)
    if about:
        at = about.end()
    factor = 1.0
    heap = _HEAP_FIRST.match(text, at)
    if heap:
        at, factor = heap.end(), HEAPS[heap[1].lower()]
    span = read_quantity(text, at, words=words)
    if span is None and heap and (found := read_unit(text, at)):
        return Amount(1.0, 1.0, found[0], text[start : found[1]].strip(), factor=factor), found[1]
    if span is None:
        return _unit_alone(text, at) if words and not heap else None
    if re.match(r"\s*%", text[span.end :]):
        return None  # "70% dark chocolate" says which, not how much
    if inner := _packed_inside(text, span.end, span.low, span.high):
        return inner
    of_a = _OF_A.match(text, span.end) if span.is_word or span.low < 1 else None
    end = of_a.end() if of_a and read_unit(text, of_a.end()) else span.end
    spoken = _unit_and_manner(text, end, factor)
    if needs_unit and spoken.unit is None:
        return None
    low, high, at = span.low, span.high, spoken.end
    if spoken.unit is not None and words and (more := _AND_A_HALF.match(text, at)):
        extra = _HALVES[(more[1] or more[2]).lower()]
        low, high, at = low + extra, high + extra, more.end()
    # Of "(an egg" the bracket goes, but "a" and "an" are told as they stand.
    is_article = (
        span.is_word and spoken.unit is None and not spoken.size and text[start:at].strip().lower() in ("a", "an")
    )
    said = text[start:at].strip() if is_article else text[start:at].strip(" (")
    return Amount(low, high, spoken.unit, said, spoken.size, spoken.form, spoken.factor), at


@dataclass(slots=True)
class _Spoken:
    """What stands after a number: a size, a way to fill the measure, a unit; and where it ends."""

    end: int
    factor: float
    size: str = ""
    form: str = ""
    unit: str | None = None


def _unit_and_manner(text: str, at: int, factor: float) -> _Spoken:
    """Read size, packing and unit in whatever order they stand."""
    spoken = _Spoken(at, factor)
    for _ in range(4):
        if fond := _FOND.match(text, spoken.end):
            spoken.end = fond.end()
        if not spoken.size and (m := _SIZE.match(text, spoken.end)):
            spoken.size, spoken.end = _size(m[1]), m.end()
        elif m := _PACK.match(text, spoken.end):
            # "loosely packed" is as it falls into the cup.
            is_loose = m[2].lower() == "packed" and (m[1] or "").strip().lower() in ("loosely", "lightly")
            if not is_loose and not _takes_packing(spoken, m[2].lower(), read_unit(text, m.end()) is not None):
                break
            spoken.end = m.end()
        elif not (spoken.unit is None and _takes_unit(spoken, text)):
            break
    return spoken


def _takes_packing(spoken: _Spoken, word: str, has_unit_after: bool) -> bool:
    """Take a way to fill the measure, unless it belongs to the food: "2 chopped apples" against "1 packed cup"."""
    if not has_unit_after and word not in HEAPS and spoken.unit is None:
        return False
    if spoken.form and word in FORMS:
        return False
    spoken.factor *= HEAPS.get(word, 1.0)
    spoken.form = FORMS.get(word, spoken.form)
    return True


def _takes_unit(spoken: _Spoken, text: str) -> bool:
    """Take a unit, with the holder that may follow it and says nothing more: "250 g tub mascarpone"."""
    found = read_unit(text, spoken.end)
    if not found:
        return False
    spoken.unit, spoken.end = found
    if sized := _SIZED_PIECE.match(text, spoken.end):
        spoken.end = sized.end()
    holder = read_unit(text, spoken.end) if units()[spoken.unit].kind in ("mass", "volume") else None
    if holder and holder[0] in ("packet", "can", "bottle") and re.match(r"\s+[a-z]", text[holder[1] :], re.I):
        spoken.end = holder[1]
    return True


def _unit_alone(text: str, at: int) -> tuple[Amount, int] | None:
    """Read "handful of walnuts" or "pinch salt" as one of the unit."""
    match = re.match(
        rf"(?:(?:good|big|small|large|tiny|wee|heaped|generous|sm\.?|lg\.?)\s+)?({words_alone()})\b"
        r"(?!\s+(?:the|an?|by|over|onto?|in|into|with|from|it|them|out|\w*spoons?(?:ful)?s?|heaped|rounded|dough|batter|mixture)\b)",
        text[at:],
        re.I,
    )
    if not match:
        return None
    return Amount(1.0, 1.0, unit_words()[match[1].lower()], match[0]), at + match.end()


def _packed_inside(text: str, at: int, low: float, high: float) -> tuple[Amount, int] | None:
    """Read "2 x 400 g tins", "1 (14 oz) can" and "1 14-oz can" as one amount."""
    times = _TIMES.match(text, at)
    inside = times.end() if times else at
    bracket = re.match(r"\s*\(\s*", text[inside:]) if not times else None
    if bracket:
        inside += bracket.end()
    elif not times:
        gap = re.match(r"\s+(?=\d)", text[inside:])
        if not gap:
            return None
        inside += gap.end()
    span = read_quantity(text, inside, words=False)
    if span is None:
        return None
    found = read_unit(text, span.end)
    if found is None or units()[found[0]].kind not in ("mass", "volume"):
        return None
    key, end = found
    closing = re.match(r"\s*\)", text[end:])
    if bracket and not closing:
        return None
    if closing:
        end += closing.end()
    holder = read_unit(text, end)
    if holder and units()[holder[0]].kind == "piece":
        end = holder[1]
    elif not times:
        return None
    amount = Amount(low * span.low, high * span.high, key, text[:end].strip())
    return amount, end


def with_form(amount: Amount, text: str) -> Amount:
    """Return *amount* with the packing that *text* names, where it has none of its own."""
    if amount.form:
        return amount
    form = form_in(text)
    return replace(amount, form=form) if form else amount


def form_in(text: str) -> str:
    """Return the packing or cut that *text* names first, or an empty string."""
    found = _FORM.search(text)
    return FORMS[found[1].lower()] if found else ""


def without_unit_stops(text: str) -> str:
    """Return a sentence without the full stop that shortens a unit, which would end it.

    Examples
    --------
    >>> without_unit_stops("Beat 4 oz. butter with 1 c. sugar. Bake.")
    'Beat 4 oz butter with 1 c sugar. Bake.'
    """
    return _UNIT_STOP.sub(r"\1\2", text)


_UNIT_STOP = re.compile(
    r"([\d½¼¾⅓⅔]\s?)(c|t|T|[Tt]sps?|[Tt]bsps?|[Tt]bls?|[Tt]bs|[Oo]z|[Ll]bs?|pts?|qts?|pkts?|pkgs?)\.(?=\s+[a-z])"
)
