"""The component that each heading of a text names; stages of one mixture name none."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.headings import FOR_THE, FOR_THE_PART, HEAD_YIELD, heading_kind
from sun_crumb.core.reading.pieces import Piece, is_followed_by_food
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.run_on import WHAT_GOES_IN
from sun_crumb.core.reading.words import word_list


def with_components(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the component that the heading above each names; stages of one mixture name none."""
    found: list[Piece] = []
    component, outer = "", ""
    heads = [p.text for p in pieces if p.role == "heading"]
    plain = [
        text for text in heads if _is_deed(text, least=1) and text.lower().strip(" :") not in word_list("component")
    ]
    # "Mix together:", "Grate:", "Blend:"
    has_deeds = any(_is_deed(text, least=2) for text in heads) or len(plain) >= SEVERAL
    for n, piece in enumerate(pieces):
        if piece.role == "heading":
            is_deed = _is_deed(piece.text, least=1) and (has_deeds or _MIXED_AT_ONCE.match(piece.text) is not None)
            kind = "stage" if is_deed else heading_kind(piece.text)
            if kind == "ingredients":
                of_part = _LIST_OF_A_PART.search(piece.text)
                is_part = of_part is not None and of_part[1].split()[-1].lower() in word_list("component")
                component = outer = of_part[1].lower() if of_part is not None and is_part else ""
            elif kind in ("method", "notes"):
                pass
            elif kind == "stage":
                component = outer
            elif is_followed_by_food(pieces, n):
                named = component_of(piece.text)
                if named is not None:
                    component = outer = named
        found.append(replace(piece, component=component))
    return found


def _is_deed(text: str, *, least: int) -> bool:
    """Return whether a heading tells only what is done with the foods under it: "Sift & add:"; beside one such also "Cream:"."""
    words = re.findall(r"[^\W\d_]+", text.lower())
    if len(words) > 1 and words[-1] == "cream":
        return False  # "Set cream": a part
    deeds = [word for word in words if fold(word) in word_list("verb")]
    return len(deeds) >= least and set(words) <= {
        *deeds,
        "and",
        "in",
        "together",
        "then",
        "with",
        "the",
        "next",
        "first",
        "last",
        "dry",
        "wet",
        "ingredients",
        "things",
    }


# "Ingredients (pudding):", "Ingredients - for the sauce"
_LIST_OF_A_PART = re.compile(
    r"^\W*[^\W\d_]+\s*[(\[–—-]+\s*(?:for\s+)?(?:the\s+)?([^\W\d_]+(?: [^\W\d_]+){0,2})\s*[)\]]?\W*$", re.I
)
# "Mix together dry:", alone over what is mixed
_MIXED_AT_ONCE = re.compile(r"\W*(?:mix|whisk|sift|stir|beat|combine|blend|boil|mash)\b", re.I)
# So many headings that only tell what is done are stages of one mixture.
SEVERAL = 2
# "Shortbread to go with"
_ALONGSIDE = re.compile(
    r"(?<=[^\W\d_]{3})\s+(?:to (?:go|serve)(?: with(?: (?:it|them))?| alongside)?|alongside|on the side)$"
)
# "For the dough I use"
_I_USE = re.compile(
    r"(?<=[^\W\d_]{3})\s+(?:(?:that\s+)?(?:i|we|you|you['’]ll)\s+(?:use|need|want|take)|we have|needs|takes)$",
    re.I,
)
# "» Base «"
_MARKS_AROUND = re.compile(r"^[\W_]+|[\W_]+$")


# "Step 1 - base", "Part two: filling", "B. Crumb", "Next, the crust"
_IN_ORDER = re.compile(
    r"^(?:(?:step|part|layer|stage)\s+(?:\d{1,2}|[a-f]|one|two|three|four|five)\s*[-–—:.,)]+\s*|(?:\d{1,2}|[a-f]|i{1,3}|iv|v)\s*[.):]\s*"
    r"|(?:first|second|third|next|then|now|finally|lastly|last|and)\b\s*[,:;-]?\s+(?:(?:for|comes|make|you make)\s+)?(?=(?:the|an?|our|your)\s))"
)
# "6 possets"
_SO_MANY_OF_IT = re.compile(r"^\d{1,2}\s+(?=[^\W\d_]+s$)")
# "use the pot to measure"
_HOW_TO_MEASURE = re.compile(r"\bto measure\b|\bmeasure (?:with|by|in|it|the rest|everything)\b", re.I)
_ARTICLE = re.compile(r"^(?:the|our|my|your)\s+(?=\w)")


def component_of(text: str) -> str | None:
    """Return the component that a heading names, in small letters; empty for the base, None where it names none."""
    if re.match(r"\W*(?:serves|makes|yields?|feeds)\b", text, re.I) and statements(text):
        return None  # "SERVES SIX"
    if _HOW_TO_MEASURE.search(text):
        return None
    # "生地 (batter)": in letters of another kitchen
    text = re.sub(r"^\W*[^\x00-\u024f]+\s*\(([^()]+)\)", r"\1", text)
    bare = HEAD_YIELD.sub("", text).strip(" *#_=:–—-.!")
    bare = _MARKS_AROUND.sub("", re.sub(r"\([^)]*\)|\s[x×]\s*\d$", "", bare))
    bare = _I_USE.sub("", bare)
    found = FOR_THE.match(bare) or FOR_THE_PART.search(bare) or WHAT_GOES_IN.fullmatch(bare)
    words = _ALONGSIDE.sub("", (found[1] if found else bare).strip().lower())
    words = _IN_ORDER.sub("", words, count=1) or words
    words = _SO_MANY_OF_IT.sub("", _ARTICLE.sub("", words, count=1))
    if words.endswith((" ingredients", " ingredient")):
        words = words.rsplit(" ", 1)[0]
        if heading_kind(words) == "stage":
            return ""
    # "Teig / Dough": in two tongues.
    tongues = [part.strip() for part in words.split("/")]
    words = next(
        (part for part in reversed(tongues) if part.split()[-1:] and fold(part.split()[-1]) in word_list("component")),
        words,
    )
    return words if re.search(r"[^\W\d_]", words) else None
