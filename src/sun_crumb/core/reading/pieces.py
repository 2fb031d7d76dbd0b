"""The pieces of a text: what each statement says, its role and its component."""

from __future__ import annotations

import re
from dataclasses import dataclass

from sun_crumb.core.reading.mentions import mentions
from sun_crumb.core.reading.records import Role

SENTENCE = re.compile(
    r"(?<=[.!?])(?<!approx\.)(?<!ca\.)(?<!abt\.)\s+(?=[^\W\d_]|[(“\"]|\d{1,3}(?:\s?(?:[-–]|to|or)\s?\d{1,3})?\s+[^\W\d_]{3,}|\(?\d{1,2}(?:\s?[-–]\s?\d{1,2})?\W*$|\d{1,2}\s+sl\b|\d{1,2}\s?(?:½|1/2)\s+do?z)"
)


# A step that names so many amounts tells the foods of its part.
LEAST_TOLD = 2


@dataclass(frozen=True, slots=True)
class Piece:
    """One statement of the text: what it says, its role, its component, and the number of the line that it begins on."""

    text: str
    role: Role
    component: str
    number: int = 0


def is_followed_by_food(pieces: list[Piece], n: int) -> bool:
    """Return whether a food stands under a heading before the next heading or step; where no list stands, a step that tells several."""
    is_listed = any(piece.role == "food" for piece in pieces)
    for piece in pieces[n + 1 :]:
        if piece.role == "food":
            return True
        if piece.role == "step" and not is_listed:
            return len(list(mentions(piece.text, is_list=True))) >= LEAST_TOLD
        if piece.role in ("heading", "step"):
            return False
    return False
