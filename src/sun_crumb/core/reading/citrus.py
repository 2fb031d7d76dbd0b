"""What a line takes of a citrus fruit, word by word: "Orange 1 - finely grated zest + 2 tbsp juice" is the zest of one and so much juice."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace

_FRUIT = re.compile(r"\b(lemon|lime|orange|grapefruit|clementine|mandarin|satsuma|tangerine)(?:e?s|['’]s)?\b", re.I)
_PART = {"zest": "zest", "zested": "zest", "rind": "zest", "juice": "juice", "juiced": "juice"}
_MEASURED = re.compile(
    r"(?:\d+\s+)?\d[\d.,/]*[½¼¾⅓⅔]?(?:\s*[-–]\s*\d+)?\s*(?:ml|g|cl|tbsps?|tsps?|tablespoons?|teaspoons?|tbs?|cups?|oz|fl\.? ?oz)\b\.?|[½¼¾⅓⅔]\s*(?:tsp|tbsp|cup)s?\b",
    re.I,
)
_COUNT = re.compile(
    r"(?<![\d.,/])(?:\d{1,2}(?:\s?[½¼]|\s\d/\d)?|½|¼|\d/\d|half|one|two|three|four|five|six|both|all|an?)(?![\d/])\b|[½¼]",
    re.I,
)
_SEPARATES = re.compile(r"\s*(?:,(?!\d)|[;:()\[\]+&]|\s[-–—]\s|\b(?:and|plus)\b)\s*", re.I)
# Words that say no more than how: all others are another food, or another matter.
_FILLERS = frozenset(
    [
        "finely",
        "freshly",
        "grated",
        "coarsely",
        "the",
        "of",
        "a",
        "an",
        "fresh",
        "large",
        "small",
        "medium",
        "big",
        "unwaxed",
        "organic",
        "juicy",
        "ripe",
        "only",
        "about",
        "its",
        "their",
        "from",
        "both",
        "all",
        "them",
        "it",
        "each",
        "you",
        "need",
        "will",
        "strained",
        "squeezed",
        "just",
        "x",
        "about",
        "approx",
        "roughly",
        "to",
        "give",
        "in",
        "total",
        "sicilian",
        "good",
        "nice",
        "thin",
        "skinned",
        "scrubbed",
        "washed",
    ]
)
LONGEST = 16


@dataclass(frozen=True, slots=True)
class _Segment:
    part: str = ""
    measure: str = ""
    count: str = ""
    has_fruit: bool = False


def by_its_words(text: str) -> list[str] | None:
    """Return a statement for each part that a line takes of one citrus fruit; None where it tells of anything else.

    Examples
    --------
    >>> by_its_words("Orange 1 - finely grated zest + 2 tbsp juice")
    ['1 Orange zest', '2 tbsp Orange juice']
    >>> by_its_words("2 lemons: juice of both, zest of one")
    ['2 lemon juice', '1 lemon zest']
    """
    fruits = _FRUIT.findall(text)
    if not fruits or len({fruit.lower() for fruit in fruits}) > 1 or len(text.split()) > LONGEST:
        return None
    segments = [_segment(said) for said in _SEPARATES.split(text) if said.strip()]
    if not segments or any(one is None for one in segments):
        return None
    told = [one for one in segments if one is not None]
    if (told[0].measure and not told[0].part) or any(one.part and one.measure and one.has_fruit for one in told):
        return None  # "1 cup lemon juice (about 4 lemons)": a food that is measured by itself
    count = next((one.count for one in told if one.has_fruit and one.count and not one.measure), "")
    parts = _with_measures(told)
    if (
        not parts
        or not (count or all(one.measure or one.count for one in parts))
        or len({one.part for one in parts}) < len(parts)
    ):
        return None
    fruit = fruits[0]
    return [f"{one.measure or _number(one.count, count)} {fruit} {one.part}" for one in parts]


def _with_measures(told: list[_Segment]) -> list[_Segment]:
    """Return the parts that segments name, each with the measure that stands beside it: "juice (60 ml)"."""
    parts: list[_Segment] = []
    for one in told:
        if one.part:
            parts.append(one)
        elif one.measure and parts and not parts[-1].measure:
            parts[-1] = replace(parts[-1], measure=one.measure)
        elif one.count and not one.has_fruit and parts and not parts[-1].count:
            parts[-1] = replace(parts[-1], count=one.count)
    return parts


def _number(own: str, count: str) -> str:
    words = {
        "a": "1",
        "an": "1",
        "one": "1",
        "two": "2",
        "three": "3",
        "four": "4",
        "five": "5",
        "six": "6",
        "half": "½",
    }
    said = count if own.lower() in ("", "both", "all") else own
    return words.get(said.lower(), said)


def _segment(said: str) -> _Segment | None:
    """Return what a few words tell; None where one of them is of another matter."""
    measure = _MEASURED.search(said)
    rest = said.replace(measure[0], " ", 1) if measure else said
    has_fruit = _FRUIT.search(rest) is not None
    rest = _FRUIT.sub(" ", rest)
    words = re.findall(r"[^\W\d_]+", rest.lower())
    parts = [_PART[word] for word in words if word in _PART]
    count = _COUNT.search(rest)
    known = {word for word in words if word in _PART or word in _FILLERS or (count and word == count[0].lower())}
    if len(parts) > 1 or set(words) - known:
        return None
    return _Segment(parts[0] if parts else "", measure[0] if measure else "", count[0] if count else "", has_fruit)
