"""The name that prose without a title begins or ends with: "Banana muffins (12): mash 3 bananas", "... Rice with milk, 8 people."."""

from __future__ import annotations

import re

from sun_crumb.core.reading.dessert_words import ends_with_a_dessert
from sun_crumb.core.reading.food_ends import first_word
from sun_crumb.core.reading.pieces import SENTENCE, Piece
from sun_crumb.core.reading.portion_asides import said_in
from sun_crumb.core.reading.title_below import LINKS
from sun_crumb.core.reading.words import word_list


def named_in_prose(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the name that prose without a title begins or ends with, beside how many it makes: "Banana muffins (12): mash", "... Arroz con leche, 8 people."."""
    steps = [piece for piece in pieces if piece.role in ("step", "chatter")]
    if not steps or any(piece.role == "title" for piece in pieces):
        return pieces
    *_, last = SENTENCE.split(steps[-1].text.strip())
    begun = _DONE_FIRST.match(steps[0].text)
    if begun and begun[2].lower() in word_list("verb") and _is_a_name(begun[1]):
        return [Piece(begun[1][:1].upper() + begun[1][1:].strip(), "title", "", steps[0].number), *pieces]
    for told in (_COUNTED_FIRST.match(steps[0].text), _COUNTED_AT_LAST.fullmatch(last.strip())):
        if told and first_word(told[1]) not in word_list("verb") and said_in(told[2]):
            name = _AS_MADE.sub("", told[1]).strip()
            return [Piece(name[:1].upper() + name[1:], "title", "", steps[0].number), *pieces]
    return pieces


def _is_a_name(text: str) -> bool:
    """Return whether what stands before what is done may name a dessert, and no part of one: "Chocolate salami", but not "Topping"."""
    is_part = text.lower().split()[-1] in word_list("component") and not ends_with_a_dessert(text)
    return len(text.split()) > 1 and not is_part and first_word(text) not in word_list("verb") | LINKS


# "Chocolate salami (log) — melt", "To make Alma's rice cake: cook"
_DONE_FIRST = re.compile(
    r"\W*(?:to make\s+)?([A-Z][^.!?:;,\d()]{3,40}?)(?:\s*\([^()\d]{2,20}\))?(?:\s+[–—-]+|:)\s+(?=([^\W\d_]+))", re.I
)
_AS_MADE = re.compile(
    r"(?:makes?|yields?|gives)\s+(?:(?:an?|about|good|generous)\s+)*(?:litres?|pints?|quarts?|jars?|batch)\s+of\s+",
    re.I,
)
_COUNTED_FIRST = re.compile(
    r"\W*([A-Z][^.!?:;,\d()]{2,40}?)\s+(?:\((?=[^()]{1,30}\))|(?=for\s))((?:about |makes |serves |for (?:a crowd of )?)?\d{1,2}[^():]{0,16})\)?\s*[:.–—-]\s"
)
_COUNTED_AT_LAST = re.compile(
    r"(?:[^:]{3,60}:\s+)?([^\W\d_][^.!?:;,\d()]{3,50}?)(?:,\s+|\s+[-–—]\s+|\s+(?=for\s))\(?((?:about |makes |serves |for )?\d{1,2}(?:\s+[^\W\d_]+)?)\)?(?:\s+(?:with|to|of|plus)\s+[^.\d]{3,50})?\W*"
)
