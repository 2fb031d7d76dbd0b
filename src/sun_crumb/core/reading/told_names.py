"""The dessert that talk names: "the apple cake you asked for", "For the nougat I whip", "I promised the quick galette"."""

from __future__ import annotations

import re
from collections.abc import Sequence

from sun_crumb.core.reading.dessert_words import ends_with_a_dessert
from sun_crumb.core.reading.pieces import Piece
from sun_crumb.core.reading.title_words import ASKED_ABOUT, THE_ONE


def named_in_talk(pieces: Sequence[Piece]) -> Piece | None:
    """Return the name that the first piece which names a dessert in talk tells, as a title; None where none does."""
    spoken = (
        m
        for p in pieces
        for m in [
            _SPOKEN_OF.search(p.text)
            or _CALLED.search(p.text)
            or _ASKED_FOR.search(p.text)
            or _MADE_BY_ME.match(p.text)
            or THE_ONE.search(p.text)
            or _how_it_is_made(p.text)
            or _OF_A_PAPER.match(p.text)
            or ASKED_ABOUT.search(p.text)
            or _SHOUTED_AFTER.fullmatch(p.text)
        ]
        if m
    )
    told_of_one = (m for p in pieces[:2] for m in _TELLS_OF.finditer(p.text[:TOLD_WITHIN]) if ends_with_a_dessert(m[1]))
    told = next(spoken, None) or next(told_of_one, None)
    return Piece(told[1][:1].upper() + told[1][1:].strip(), "title", "", 0) if told else None


# "I promised the quick apricot galette."
_TELLS_OF = re.compile(
    r"\b(?:[Tt]he|[Mm]y|[Oo]ur|[Tt]hat|[Tt]his)\s+((?:[a-zà-ÿ'’-]+\s+){1,3}[a-zà-ÿ'’-]+)(?=\s*[.!?:])"
)
# A dessert is named within so much of what is told [characters].
TOLD_WITHIN = 200
# "You asked for the apple cake": a letter names what it tells.
_SPOKEN_OF = re.compile(
    r"\b(?:[Tt]he|[Mm]y|[Oo]ur|[Tt]hat|[Tt]his|[Hh]er|[Hh]is)\s+((?:[a-z-]+(?:['’]s)?\s+){1,3}(?:cake|tart|pie|loaf|bread|pudding|crumble|cobbler|brownies|biscuits|cookies|muffins|cheesecake|traybake|trifle|mousse|scones|flapjacks?))\b(?=[^.]{0,60}[.!?:])"
)
# "For the nougat glacé I whip 4 egg whites"
_MADE_BY_ME = re.compile(
    r"^\W*[Ff]or (?:the|my|our|your|a|an)\s+((?:[^\W\d_]+\s+){0,3}?[^\W\d_]+),?\s+(?:(?:I|we|you)\s+(?:[a-z]+\s+)?(?:take|whip|use|make|mix|need|want|start|boil|bake|cook|cream|melt|beat|whisk)|use|take)\b"
)
_ASKED_FOR = re.compile(
    r"\b(?:asked (?:me )?for|wanted|here(?:'s| is)|what(?:['’]?s| is| was)|this is|sending you)\s+(?:the|my|our|that|your)\s+((?:[a-z-]+\s+){0,3}[a-z-]+)\s+recipe\b",
    re.I,
)


# "From our allotment newsletter: Beetroot & chocolate cake."
_OF_A_PAPER = re.compile(
    r"\W*From\s+(?:our|my|the|an?)\s+(?:[^\W\d_]+['’]?s?\s+){0,4}[^\W\d_]+:\s+([A-Z][^.:!?\d]{3,48})\.?\s*$"
)


# "Sure! OATY APRICOT CRUMBLE BARS"
_SHOUTED_AFTER = re.compile(
    r"\W*(?i:sure|ok|okay|yes|of course|right|here(?: it is| you go)?|so|hi[^!.,:]{0,20})[!.,:–-]+\s+([A-Z][A-Z &'’-]{6,50})\W*"
)


def _how_it_is_made(text: str) -> re.Match[str] | None:
    """Find the dessert that is told how it is made: "This is how we do doughnuts in our bakery"."""
    found = _HOW_WE_MAKE.search(text)
    return found if found and ends_with_a_dessert(found[1]) else None


_HOW_WE_MAKE = re.compile(
    r"\bhow\s+(?:we|I|my\s+[a-z]+|she|he)\s+(?:do|does|make|makes|made|bake|bakes|baked)\s+(?:our\s+|my\s+|the\s+|her\s+|his\s+)?((?:[a-z-]+\s+){0,2}[a-z-]+?)(?=\s+(?:in|at|for|with|on|here)\b|\s*[.,:;!?]|$)",
    re.I,
)
# "so for the brownies I just do ...", "it's called dump cake"
_CALLED = re.compile(
    r"(?:\bfor\s+(?:the|my)|\bcalled(?:\s+an?)?)\s+((?:[a-z-]+\s+){0,3}(?:cake|tart|pie|loaf|pudding|crumble|cobbler|brownies|biscuits|cookies|muffins|cheesecake|traybake|trifle|mousse|scones|flapjacks?))\b(?=\s+(?:i|we|you)\b|,)",
    re.I,
)
