"""Whether a few words name a dessert: what desserts are called, by the signs of their families."""

from __future__ import annotations

import re
from functools import cache

from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.reading.counts import counting_words, kind_of
from sun_crumb.core.reference import table

# What a form asks for a dessert's name with.
ASKS_THE_NAME = r"(?:(?:name|title) of (?:the )?(?:dish|recipe|dessert|cake)|(?:recipe|dish) (?:name|title)|dish)"
# A name of a dessert has so many words at its end [1].
LONGEST_NAME = 3
# No title is read further than so many words [1].
LONGEST_TITLE = 20
# How one word names a dessert in tongues that join two: "Eierlikörkuchen", "appeltaart", "morotskaka" (common practice).
_ENDS_ABROAD = (
    "kuchen",
    "koek",
    "koeken",
    "koekjes",
    "schnitten",
    "kipferl",
    "krapfen",
    "knödel",
    "bullar",
    "boller",
    "tærte",
    "torte",
    "taart",
    "kaka",
    "kake",
    "kage",
    "plätzchen",
    "strudel",
    "auflauf",
    "cake",
)
# What is called so by what is done with it, or after what it looks like.
_BESIDES = frozenset({"bake", "mess", "salami", "bannock", "clafoutis", "posset", "fool", "syllabub", "halva", "halwa"})
# Pieces that are called by the dessert's own name (common practice).
PIECES_BY_NAME = frozenset(
    [
        "biscuit",
        "blondie",
        "brownie",
        "bun",
        "cookie",
        "cupcake",
        "doughnut",
        "donut",
        "flapjack",
        "macaroon",
        "meringue",
        "muffin",
        "pancake",
        "scone",
        "truffle",
        "waffle",
    ]
)


@cache
def _names() -> frozenset[str]:
    rows = (row["words"].split(";") for row in table("family_signs") if row["where"] == "name")
    return frozenset(name for names in rows for name in names) | _BESIDES


def ends_with_a_dessert(text: str) -> bool:
    """Return whether words end with what a dessert is called.

    Examples
    --------
    >>> ends_with_a_dessert("Upside-Down Plum & Polenta Cake"), ends_with_a_dessert("Sunday Oven")
    (True, False)
    """
    return _end_with_one(re.findall(r"[^\W\d_][\w'’-]*", text.lower())[-LONGEST_NAME:])


def _end_with_one(last: list[str]) -> bool:
    words = [singular(word) for word in last]
    if not words:
        return False
    is_noun = kind_of(words[-1]) in ("piece", "whole") and words[-1] not in counting_words("holder")
    is_noun = is_noun or words[-1].endswith(_ENDS_ABROAD)
    return is_noun or any(" ".join(words[-n:]) in _names() for n in range(1, LONGEST_NAME + 1))


def holds_a_dessert(text: str) -> bool:
    """Return whether any of the words is what a dessert is called."""
    words = re.findall(r"[^\W\d_][\w'’-]*", text.lower())[:LONGEST_TITLE]
    return any(_end_with_one(words[max(0, n - LONGEST_NAME) : n]) for n in range(1, len(words) + 1))
