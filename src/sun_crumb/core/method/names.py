"""By which words a method may speak of an ingredient line."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.method.records import MethodLine
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.pantry.names import words_of
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reference import table

Phrase = tuple[str, ...]
LONGEST = 4


@dataclass(frozen=True, slots=True)
class Names:
    """Which lines each phrase may mean, and how closely: 3 a line's own name, 2 a name of its food, 1 what such foods are called."""

    lines: tuple[MethodLine, ...]
    by_phrase: dict[Phrase, dict[int, int]]

    @classmethod
    def of(cls, lines: Sequence[MethodLine]) -> Names:
        """Return the names of a recipe's lines."""
        found: dict[Phrase, dict[int, int]] = {}
        for n, line in enumerate(lines):
            for phrase, how_close in _phrases(line).items():
                held = found.setdefault(phrase, {})
                held[n] = max(how_close, held.get(n, 0))
        return cls(tuple(lines), found)

    def meant(self, phrase: Phrase) -> dict[int, int]:
        """Return the lines that a phrase may mean, and how closely."""
        return self.by_phrase.get(phrase, {})


def _phrases(line: MethodLine) -> dict[Phrase, int]:
    found: dict[Phrase, int] = {}
    for phrase, how_close in (
        *_of_name(_plain(words_of(line.name))),
        *(_of_food(line.ingredient) if line.ingredient else ()),
        *(((word,), 1) for word, pattern in _AS_IT_IS if pattern.search(line.text)),
    ):
        if phrase and len(phrase) <= LONGEST and how_close > found.get(phrase, 0):
            found[phrase] = how_close
    return found


# Walnut halves are walnuts; "half of the icing" is none of them.
_NO_NAMES = frozenset({("half",), ("piece",), ("chunk",), ("quarter",)})
# Short for a food.
_SHORT = {
    "baking_powder": (("b", "p"), ("bp",)),
    "baking_soda": (("b", "s"), ("bicarb",)),
    "peanut_butter": (("pb",), ("p", "b")),
}
# How a longer name is cut short.
_SHORT_ENDS = ("currant", "melon", "nut")
# What a line's food is by the time the method speaks of it: "the slices" of bread, the purée of berries.
_AS_IT_IS = (
    ("slice", re.compile(r"\bslices\b", re.I)),
    ("leaf", re.compile(r"\blea(?:f|ves)\b.*\bgelatin|\bgelatin\w*\b.*\blea(?:f|ves)\b", re.I)),
    ("puree", re.compile(r"\bpur[ée]ed\b", re.I)),
    ("peel", re.compile(r"\bpeel\b(?!ed)", re.I)),
    ("crumb", re.compile(r"\bbread\s?crumbs\b|\b(?:crushed|(?:in)?to crumbs|crumbled)\b", re.I)),
)


def _of_name(name: Phrase) -> Iterator[tuple[Phrase, int]]:
    """Give the phrases of a line's own name: "light brown sugar", "brown sugar", "sugar"."""
    for start in range(len(name)):
        if name[start:] not in _NO_NAMES:
            yield name[start:], 3 if start == 0 else 2
    if len(name) > 1 and name[-1:] in _NO_NAMES:
        yield name[:-1], 2
    if len(name) > 1 and name[-1] in _holders():
        # "cocoa powder", "lemon juice", "gelatine leaves": the food without what it comes as.
        yield name[:-1], 2
        yield name[-2:-1], 2
    for word in name:
        if word not in _too_common() and len(word) > 3 and (word,) not in _NO_NAMES:
            yield (word,), 1


def _of_food(food: Ingredient) -> Iterator[tuple[Phrase, int]]:
    """Give what a food is called besides: its names in the pantry, and what such foods are called."""
    for text in _names_of(food.key):
        yield _plain(words_of(text)), 2
    for word in _called(food):
        yield (word,), 1
    for phrase in _SHORT.get(food.key, ()):
        yield phrase, 2
    if food.key == "egg":
        for part in ("yolk", "white"):
            yield (part,), 1
            yield ("egg", part), 1
    for end in _SHORT_ENDS:
        if food.key.endswith(end) and food.key != end:
            yield (end,), 1  # "the currants", of blackcurrants
    last = _plain(words_of(food.name))[-1:]
    if last and last[0] not in _too_common():
        yield last, 1


def _plain(words: Sequence[str]) -> Phrase:
    kept = [w for w in words if not re.search(r"\d|%", w)]
    # The adjectives of lists are not said again; what makes another food of it is.
    return tuple(w for n, w in enumerate(kept) if n == len(kept) - 1 or w not in word_list("neutral") or w in _TELLING)


# Adjectives that tell sorts of one food apart.
_TELLING = frozenset(
    {"icing", "plain", "strong", "granulated", "double", "single", "ground", "flaked", "dried", "salted"}
)


@cache
def _names_of(key: str) -> tuple[str, ...]:
    return tuple(row["name"] for row in table("pantry_names") if row["key"] == key)


@cache
def _words(kind: str) -> frozenset[str]:
    row = next(row for row in table("method_words") if row["kind"] == kind)
    return frozenset(row["words"].split())


def _holders() -> frozenset[str]:
    return _words("comes_as")


def _too_common() -> frozenset[str]:
    return _words("too_common")


@cache
def _calls() -> tuple[tuple[str, tuple[str, ...]], ...]:
    return tuple(
        (row["kind"].removeprefix("called:"), tuple(row["words"].split()))
        for row in table("method_words")
        if row["kind"].startswith("called:")
    )


def _called(food: Ingredient) -> list[str]:
    """Return what such foods are called: sugar, flour, spice, nuts."""
    found: list[str] = []
    for test, words in _calls():
        kind, _, value = test.partition("=")
        if (
            (kind == "role" and food.has_role(value))
            or (kind == "group" and food.group == value)
            or (kind == "key" and re.search(rf"(?:^|_){value}(?:_|$)", food.key))
        ):
            found += words
    return found
