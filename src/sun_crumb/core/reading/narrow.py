"""Lines that a page or a hand has broken, whole again: a narrow page, a bracket torn by a line's end, a name in capitals over two lines."""

from __future__ import annotations

import itertools
import re
from collections.abc import Sequence
from dataclasses import replace

from sun_crumb.core.quantities.numbers import WORDS
from sun_crumb.core.reading.counts import counting_words, kind_of
from sun_crumb.core.reading.dessert_words import holds_a_dessert
from sun_crumb.core.reading.food_ends import AMOUNT_BEHIND, begins_food, first_word
from sun_crumb.core.reading.headings import PLACE
from sun_crumb.core.reading.physical import Physical
from sun_crumb.core.reading.words import word_list

# A page is narrow up to so many characters, and broken where so many of its lines go on because there was no room (judgement).
WIDEST, LEAST_BROKEN = 60, 3
# Where more of the lines that begin with a letter begin with a small one, that tells nothing (judgement).
MOST_SMALL = 0.9
# A bracket that is still open after so much is none that a line end tears [characters]; a name has so few words.
LONGEST_TORN, MOST_NAMED = 160, 4
# A sentence that has been joined once has so many words (judgement).
LEAST_PROSE = 8
_GOES_ON = re.compile(r"[a-zà-ÿ(]")
_ITEM = re.compile(r"\(?(?:[a-z]\)|step\b|optional\b)", re.I)
_HANGING = re.compile(r"\b(?:with|of|into|and|or|the|an?|plus)$|&$", re.I)


def whole_again(lines: Sequence[Physical]) -> list[Physical]:
    """Return lines with those that only go on with the one above joined to it; the others keep their numbers.

    On a narrow page a line goes on where it begins in small letters and its first word had no room above: "1/2 cup (113 grams) unsalted" and
    "butter, melted". Wherever, it goes on within a bracket, behind a word that nothing ends with, and where a text begins with a name in capitals.
    """
    width = _width(lines)
    lines = _with_whole_name(lines)
    told: list[Physical] = []
    before = ""
    for n, line in enumerate(lines):
        text = line.raw.strip()
        is_next = bool(told) and line.number == lines[n - 1].number + 1 and bool(before) and bool(text)
        after = lines[n + 1].raw.strip() if n + 1 < len(lines) else ""
        if is_next and line.role is None and told[-1].role is None and _goes_on(told[-1], before, text, after, width):
            told[-1] = replace(told[-1], raw=rejoined(told[-1].raw, text))
        else:
            told.append(line)
        before = line.raw.rstrip()
    return told


def _with_whole_name(lines: Sequence[Physical]) -> Sequence[Physical]:
    """Return lines with a text's first ones in one, where up to an empty one they are a dessert's name on several: "Low-sugar plum", "crumble cake with a" and "crunchy top"."""
    begin = next((n for n, line in enumerate(lines) if line.raw.strip()), len(lines))
    end = next((n for n in range(begin, len(lines)) if not lines[n].raw.strip()), begin)
    texts = [line.raw.strip() for line in lines[begin:end]]
    name = " ".join(texts)
    is_name = (
        1 < len(texts) <= MOST_LINES_OF_A_NAME
        and len(name.split()) <= MOST_WORDS_OF_A_NAME
        and texts[0][:1].isupper()
        and all(text[:1].islower() and len(text) <= LONGEST_OF_A_NAME for text in texts[1:])
        and re.search(r"[\d:;.!?()\[\]|]", name) is None
        and not any(line.role for line in lines[begin:end])
        and holds_a_dessert(name)
        and not any(first_word(text) in _BY_WHOM for text in texts[1:])
    )
    return [*lines[:begin], replace(lines[begin], raw=name), *lines[end:]] if is_name else lines


# A name over several lines has no more lines and words, none longer [1, 1, characters] (judgement).
MOST_LINES_OF_A_NAME, MOST_WORDS_OF_A_NAME, LONGEST_OF_A_NAME = 4, 12, 32
_BY_WHOM = frozenset(["by", "from", "adapted", "recipe", "serves", "makes", "yields", "for", "enough", *WORDS])


def _goes_on(whole: Physical, before: str, text: str, after: str, width: int) -> bool:
    said = whole.raw
    is_open = said.count("(") > said.count(")") and len(said) < LONGEST_TORN and ")" in text
    is_hanging = _HANGING.search(before) is not None and text[:1].islower()
    is_hanging = is_hanging or (_OF_A_FRUIT.search(before) is not None and _FRUIT_NEXT.match(text) is not None)
    if is_open or is_hanging or (_AWAITS_COUNT.search(before) and _COUNT_ALONE.fullmatch(text)):
        return True
    if whole.is_first and (_is_torn_title(said, text) or (not after and _is_named_on(said, text))):
        return True
    # "Honey and oat", "biscuits (about" and "20)"
    if whole.is_first and _OPENS_ITS_COUNT.search(text) and _is_named_on(said, text.split("(")[0].strip()):
        return True
    if whole.is_first and _is_named_over_two(said, text, after):
        return True
    if (
        before.endswith(",")
        and text[:1].islower()
        and said[:1].isupper()
        and first_word(said) in word_list("verb")
        and not begins_food(text)
    ):
        return True  # "Warm the milk and malt," and "mix it all"
    if before != said.rstrip() and len(said.split()) >= LEAST_PROSE and not re.search(r"[.!?:;]$", said):
        return text[:1].islower() and not begins_food(text)  # a sentence that was torn before goes on
    return bool(width) and _had_no_room(before, text, width)


_OPENS_ITS_COUNT = re.compile(r"\((?:makes|about|serves|for|approx\.?)?\s*(?:\d{1,3}\)?)?$", re.I)
# "zest of 2" and "lemons", "juice of" and "1 lemon"
_OF_A_FRUIT = re.compile(r"\b(?:zest|juice|rind|peel)\s+(?:of|(?:of\s+)?(?:\d|½|half|an?|one|two))$", re.I)
_FRUIT_NEXT = re.compile(r"(?:(?:\d|½|half|an?|one|two)\s+(?:an?\s+)?)?(?:lemon|lime|orange|grapefruit)", re.I)
# "Prep 10 mins | Makes" and "12"
_AWAITS_COUNT = re.compile(r"\b(?:makes|serves|yields?|feeds|about|approx\.?|circa|for a crowd of)\s*:?$", re.I)
_COUNT_ALONE = re.compile(
    r"(?:about\s+)?(?:\d{1,3}(?!\d|\s?(?:k?g|m?l|oz|lbs?|cups?|c|tsps?|tbsps?|T|t)\b)|two|three|four|five|six|eight|nine|ten|a dozen|twelve|twenty)(?:\s*(?:-|–|to|or)\s*\d{1,3})?(?:\s+[^\W\d_]+){0,2}\W*",
    re.I,
)


def _is_torn_title(said: str, text: str) -> bool:
    """Return whether a text's first line ends within what it says of portions: "Basque cheesecake - 8 to 10" and "slices"."""
    words = text.split()
    is_short = 0 < len(words) <= MOST_NAMED - 1 and text[:1].islower()
    ends_within = re.search(r"\b(?:\d{1,3}|a crowd|a party|enough|serves|makes)$", said.rstrip(), re.I) is not None
    return is_short and ends_within and not begins_food(text) and not re.search(r"[:;]", text)


def _is_named_on(said: str, text: str) -> bool:
    """Return whether a text's second line, in small letters and above an empty one, goes on with the dessert's name: "Walnut and fig" and "soda bread cake"."""
    words = text.split()
    is_name = 0 < len(words) <= MOST_NAMED and re.fullmatch(r"[a-zà-ÿ][^\d:;.!?()]*", text) is not None
    is_of_it = is_name and words[0] in _BY_WHOM
    last = words[-1].lower() if is_name else ""
    is_dessert = kind_of(last) in ("piece", "whole") and last not in counting_words("holder")
    return is_dessert and not is_of_it and re.search(r"[\d.!?:;)]$", said.rstrip()) is None and said[:1].isupper()


def _is_named_over_two(said: str, text: str, after: str) -> bool:
    """Return whether a text's first line and the next are one name: in capitals both ("LEMON CURD" and "ICE CREAM"), or the first ends in the middle."""
    if (
        re.search(r"[\d:]", said + text)
        or len(text.split()) > MOST_NAMED
        or (begins_food(after) and after[:1] != "(" and not text.isupper())
    ):
        return False
    both_loud = said.strip().isupper() and text.isupper() and len(said.split()) <= MOST_NAMED
    last = re.findall(r"[^\W\d_]+", text.lower())[-1:]
    is_over = not after or after[:1] == "(" or bool(last and kind_of(last[0]) in ("piece", "whole"))
    return (both_loud and is_over) or (
        _HANGING.search(said) is not None and said.strip()[:1].isupper() and text[:1].isupper()
    )


def _width(lines: Sequence[Physical]) -> int:
    """Return how wide a narrow page is whose lines were broken for want of room [characters], or 0."""
    texts = [line.raw.rstrip() for line in lines if line.role is None]
    width = max(map(len, texts), default=0)
    letters = [text.strip() for text in texts if text.strip()[:1].isalpha()]
    if not 0 < width <= WIDEST or sum(text[:1].islower() for text in letters) > MOST_SMALL * len(letters):
        return 0  # wide, or a hand that writes no capitals
    broken = sum(
        bool(one.strip()) and bool(two.strip()) and _had_no_room(one, two.strip(), width)
        for one, two in itertools.pairwise(texts)
    )
    return width if broken >= LEAST_BROKEN else 0


def _had_no_room(before: str, text: str, width: int) -> bool:
    """Return whether the first word of a line in small letters had no room on the line above, and the line is no item of a list."""
    if not text or not _GOES_ON.match(text) or _ITEM.match(text) or PLACE.fullmatch(text.strip(" :")):
        return False
    had_room = len(before.rstrip()) + 1 + len(text.split()[0]) <= width
    return not had_room and not begins_food(text) and not AMOUNT_BEHIND.match(text) and not _DOTTED.search(text)


# "salt..........1/4 tsp": an item of its own
_DOTTED = re.compile(r"\w\s?(?:\.{3,}|…{2,}|_{3,})\s?[\d½¼¾⅓⅔]")


def rejoined(before: str, after: str) -> str:
    """Return two lines as one, a word that was broken at its end whole again: "mascar-" and "pone", but "self-" and "raising"."""
    before = before.rstrip()
    broken = _BROKEN_WORD.search(before)
    if broken and after[:1].islower():
        return before[: None if broken[1].lower() in _KEEPS_HYPHEN else -1] + after
    if broken and after[:1].isupper() and broken[1][:1].isupper():
        return before + after  # "Apple Upside-" and "Down Cake"
    return f"{before} {after}"


_BROKEN_WORD = re.compile(r"\b([^\W\d_]{2,})-$")
# "all-" and "purpose flour", "table-" and "spoons"
_KEEPS_HYPHEN = frozenset(
    [
        "self",
        "all",
        "semi",
        "low",
        "full",
        "non",
        "half",
        "free",
        "medium",
        "extra",
        "gluten",
        "sugar",
        "fat",
        "bitter",
        "short",
        "long",
        "two",
        "three",
        "table",
        "tea",
    ]
)
