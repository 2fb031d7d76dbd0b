"""A last look for portions, where no word speaks of them: a number of what is eaten as one, anywhere but in a food."""

from __future__ import annotations

import itertools
import re
from collections.abc import Iterable, Sequence
from dataclasses import replace

from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.reading.beyond_doubt import without_measures
from sun_crumb.core.reading.counts import NUMBER, NUMBER_PLAIN, Count, read_count, value_of
from sun_crumb.core.reading.pieces import SENTENCE, Piece
from sun_crumb.core.reading.portion_cues import Stated
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.words import word_list

# How far a number is trusted that nothing introduces: it is said to be a guess [0 to 1] (judgement).
CAUGHT = 0.3
# Fewer pieces, or eaters, are something of the work: "2 rounds", "cut in 3 pieces" [1] (judgement).
LEAST_PIECES, LEAST_SHAPES, LEAST_EATERS = 4, 6, 2
# What else than a portion goes by the name of a piece.
_SHAPES = frozenset(
    [
        "ball",
        "round",
        "log",
        "stick",
        "bowl",
        "dish",
        "cup",
        "pot",
        "strip",
        "square",
        "finger",
        "cone",
        "knot",
        "roll",
        "chunk",
        "glass",
    ]
)
# What a food may be in, and is not called.
_CUT = frozenset(["slice", "piece", "square", "wedge", "bar", "portion", "serving", "chunk", "finger"])
# "another 6 slices", "per 2 cookies", "gas 4", "3 of 12 pieces": a number of something else.
_OF_ELSE = re.compile(
    r"(?:\b(?:another|extra|more|other|first|last|every|each|per|of|top with|with|gas|mark|step|no|page|than|by|using|use|crush|crumble)|[x×/°])\W*$",
    re.I,
)
# "Cut the butter into 8 pieces": what goes in; where the thing itself is cut, words that speak of portions say so.
_CUT_UP = re.compile(
    r"\b(?:cut|chop|slice|dice|break|snap|divide|split)\w*\s+(?!(?:the\s+|your\s+)?(?:\w+\s+)?(?:pastry|dough|filo|sheet|roll|log|block|slab|mixture|it|them|this)\b)[^.;]*\bin(?:to)?\W*$",
    re.I,
)
_GOES_ON = re.compile(
    r"\s*(?:each\b|per\b|apart\b|thick\b|of\s+(?!it\b|them\b|this\b|these\b|about\b|\d)|from\s+the\s+(?:top|edge))",
    re.I,
)
_WORD = re.compile(r"[^\W\d_]+")
# What stands before a number is looked through so far [characters].
BEFORE = 80


def caught(pieces: Sequence[Piece], title: str) -> Stated | None:
    """Return the number of pieces or eaters that stands anywhere outside the foods, as a guess; the last of what the title names, else the last.

    Examples
    --------
    >>> caught([Piece("Mash, mix, scoop 12 cookies, bake.", "step", "", 3)], "Oat cookies").count.low
    12
    """
    foods = {singular(word.lower()) for p in pieces if p.role == "food" for word in _WORD.findall(p.text)}
    named = {singular(word.lower()) for word in _WORD.findall(title)}
    found = [
        (count.noun in named, n, stated)
        for n, (role, sentence) in enumerate(_sentences(pieces))
        for stated in _counted(sentence, named if role != "title" else set())
        if (count := stated.count) and (count.noun not in foods - _CUT or count.noun in named)
    ]
    return max(found, key=lambda each: each[:2])[2] if found else _one_each(pieces) or _loosely(pieces)


def _one_each(pieces: Sequence[Piece]) -> Stated | None:
    """Return how many have one each of what the list counts: "One pear each.", of "4 firm pears"."""
    each = next((m for p in pieces if p.role != "food" for m in [_ONE_EACH.search(p.text)] if m), None)
    if each is None:
        return None
    counted = (
        count
        for p in pieces
        if p.role == "food" and singular(each[1].lower()) in {singular(w.lower()) for w in _WORD.findall(p.text)}
        for count in [NUMBER.match(p.text)]
        if count and count["low"] and value_of(count)[0] > 1
    )
    low, high = next((value_of(number) for number in counted), (0, 0))
    return Stated(Count(low, high, "serving", "person", 0), "", CAUGHT, each[0]) if low else None


def _loosely(pieces: Sequence[Piece]) -> Stated | None:
    """Return the last number near a word that speaks of portions, where nothing else tells one: "Servings (24 cm cake): 12", "four greedy or six polite"."""
    found = None
    for piece in pieces:
        if piece.role == "food":
            continue
        for sentence in SENTENCE.split(piece.text):
            found = so_many_near(sentence, is_done=piece.role == "step") or found
    return found or _for_at_last(pieces)


def _for_at_last(pieces: Sequence[Piece]) -> Stated | None:
    """Return for how many the last words of a method say it is: "Freeze in a loaf tin: hazelnut parfait for 8." """
    last = next((piece.text for piece in reversed(pieces) if piece.role == "step"), "")
    told = _FOR_LAST.search(last)
    count = read_count(told[2]) if told and singular(told[1].lower()) not in word_list("verb") else None
    return (
        Stated(replace(count, kind="person", noun="serving"), "", CAUGHT, told[0].strip(" ."))
        if told and count
        else None
    )


_FOR_LAST = re.compile(r"\b([^\W\d_]{4,})\s+for\s+(\d{1,2}|two|three|four|five|six|eight|ten|twelve)\W*$", re.I)


def so_many_near(sentence: str, *, is_done: bool = False) -> Stated | None:
    """Return the number near a word that speaks of portions, as a guess; of a step (*is_done*) one that is cut, or begins the sentence."""
    if len(sentence) > LONGEST_TOLD:
        return None
    told = without_measures(sentence)
    near = (_NEAR_AT_WORK if is_done else _NEAR).search(told)
    number = NUMBER.match(told, near.start(near.lastindex)) if near and near.lastindex else None
    if near is None or number is None:
        return None
    low, high = value_of(number)
    counted = read_count(_NEXT_FIELD.sub(" ", told), number.start())
    if counted is None or counted.kind in _NO_EATERS or not LEAST_EATERS <= low <= MOST_LOOSELY:
        return None
    return Stated(Count(low, high, "serving", "person", 0), "", CAUGHT, near[0].strip(" .;,!("))


# A sentence that tells for how many is no longer than this [characters] (judgement).
LONGEST_TOLD = 600
# "Number: 35 Time: 1 h"
_NEXT_FIELD = re.compile(r"\b(?:times?|cups?|days?)\s*:.*$", re.I)
_NO_EATERS = frozenset({"whole", "thing", "measure"})
# More than so many are told in plainer words, or are none [1] (judgement).
MOST_LOOSELY = 72
_SPEAKS = r"serv\w+|portions?|helpings?|slices?|pieces?|squares?|people|persons?|guests|makes?|yields?|gives|feeds|fills|number|quantity|needs|eaters|of (?:us|you)|pers\b|parts|small|large|little|big|greedy|hungry|polite|filled"
_NEAR = re.compile(
    rf"\b(?:{_SPEAKS})\b(?:\W+[^\W\d_]+){{0,2}}?\W+({NUMBER_PLAIN})(?![\w/])|({NUMBER_PLAIN})(?:\W+[^\W\d_]+){{0,1}}?\W+(?:{_SPEAKS})\b"
    # "Cake for twelve"
    rf"|^\W*(?:[^\W\d_]+\s+){{0,3}}for\s+({NUMBER_PLAIN})\W*$",
    re.I,
)
_NEAR_AT_WORK = re.compile(
    rf"\b(?:cut|slice|score|mark|stamp|snap)s?\s+(?:out\s+|in\s+|into\s+|it\s+|about\s+){{0,2}}({NUMBER_PLAIN})(?![\w/])|^\W*({NUMBER_PLAIN})\s+(?:slices|pieces|squares|bowls|wedges|bars|circles|rounds|portions)\b",
    re.I,
)
_ONE_EACH = re.compile(r"\b(?:one|1|a whole)\s+([^\W\d_]{3,})\s+(?:each|apiece|per person|a head)\b", re.I)


def _sentences(pieces: Iterable[Piece]) -> Iterable[tuple[Role, str]]:
    return ((p.role, sentence) for p in pieces if p.role != "food" for sentence in SENTENCE.split(p.text))


# "24 of them."
_OF_THEM = re.compile(r"(?:^|[.;,!]\s*)(?:about\s+|makes\s+)?([4-9]|[1-9]\d)\s+of\s+(?:them|these)\b", re.I)


# A sentence that tells something holds no more numbers than this [1] (judgement).
MOST_NUMBERS = 60


def _counted(sentence: str, named: set[str]) -> Iterable[Stated]:
    """Yield what the numbers of a sentence count, where that is eaten as one or is what the title names."""
    if so_many := _OF_THEM.search(sentence):
        many = int(so_many[1])
        yield Stated(Count(many, many, "piece", "piece", so_many.end()), "", CAUGHT, so_many[0].strip(" .;,!"))
    for number in itertools.islice(NUMBER.finditer(sentence), MOST_NUMBERS):
        count = read_count(sentence, number.start())
        is_named = count is not None and count.noun in named and count.kind in ("piece", "other")
        if count is None or not (count.kind in ("piece", "person") or is_named):
            continue
        before = sentence[max(0, number.start() - BEFORE) : number.start()]
        if _OF_ELSE.search(before) or _CUT_UP.search(before) or _GOES_ON.match(sentence, count.end):
            continue
        is_shape = count.noun in _SHAPES and not is_named
        least = LEAST_EATERS if count.kind == "person" else LEAST_SHAPES if is_shape else LEAST_PIECES
        if count.low >= least:
            kept = count if count.kind != "other" else Count(count.low, count.high, count.noun, "piece", count.end)
            yield Stated(kept, "", CAUGHT, sentence[number.start() : count.end].strip())
