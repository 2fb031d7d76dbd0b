"""What the pieces of a text say of portions, each with how far its place is trusted, and of what each component is enough for."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence
from dataclasses import replace
from itertools import pairwise

from sun_crumb.core.quantities.nouns import plural
from sun_crumb.core.reading.components import component_of
from sun_crumb.core.reading.counts import MOST, Count
from sun_crumb.core.reading.headings import HEAD_YIELD, OF_ONE, heading_kind
from sun_crumb.core.reading.pieces import SENTENCE, Piece
from sun_crumb.core.reading.portion_asides import bare_count, said_in
from sun_crumb.core.reading.portion_cues import Stated, statements
from sun_crumb.core.reading.portion_steps import SURE, of_step


def own_yields(pieces: Sequence[Piece]) -> dict[str, int]:
    """Return for how many portions each component but the first is said to be enough, in its heading or right under it."""
    first = next((p.component for p in pieces if p.role == "food"), "")
    found: dict[str, int] = {}
    for before, piece in pairwise(pieces):
        for told in (before, piece if before.role == "heading" and piece.role == "portions" else before):
            if told.component != first and (count := _own_yield(told)) is not None:
                found[told.component] = count
    return found


def _own_yield(piece: Piece) -> int | None:
    """Return for how many portions the component of a heading or a line under it is said to be enough, or None."""
    if piece.role == "heading":
        found = HEAD_YIELD.search(piece.text)
        if found and _ITS_OWN_PIECES.search(found[0]):
            return None
        return int(found["count"]) if found and 1 <= int(found["count"]) <= MOST else None
    if piece.role != "portions":
        return None
    stated = next((s for s in statements(piece.text) if s.count), None)
    return stated.count.low if stated and stated.count else None


# "For the shortbread (makes about 18 fingers)": what it is shaped into, of which everyone may have several.
_ITS_OWN_PIECES = re.compile(
    r"\d\s+(?:\w+\s+)?(?:fingers|biscuits|cookies|shortbreads|tuiles|wafers|meringues|macarons|truffles|snaps|crisps|shards)\b",
    re.I,
)


def told_of(text: str) -> list[Stated]:
    """Return what a short line says of portions, in words that speak of them or as a bare count: "For a 24 cm tin, 12 pieces"."""
    # "(for 4)"
    text = re.sub(r"^[(\[{](for\s[^()]+)[)\]}]$", r"\1", text.strip(), flags=re.I)
    # "For a 24 cm springform, 12 pieces": a count may stand behind a comma.
    parts = _DIVIDED.split(text) if len(text) < SHORT_LINE else [text]
    # "Key facts: 8 people – 20 minutes"
    parts[0] = re.sub(r"^[^\W\d_][^\W\d_ ]*(?: [^\W\d_]+){0,2}:\s+(?=\d)", "", parts[0]) if len(parts) > 1 else parts[0]
    # "1 bowl, no mixer": what it is made in.
    bare = [
        said
        for part in dict.fromkeys([text, *(part.strip("()[] ") for part in parts)])
        if (said := bare_count(part)) and not (said.count and said.count.low == 1 and said.count.kind == "piece")
    ]
    if not bare and (counted := SO_MANY_OF_IT.fullmatch(text)) and counted[2].lower() in _UNITS_THAT_ARE_PIECES:
        bare = [Stated(Count(int(counted[1]), int(counted[1]), "piece", "piece", 0), "", 0.9, text)]
    if not bare and re.match(r"for\b", text, re.I) and (said := said_in(text) or said_in(parts[0].strip())):
        bare = [said]
    if not bare and re.fullmatch(r"\W*\d{1,2}\W*", text) and (alone := said_in(text)):
        bare = [replace(alone, trust=ALONE)]  # "24", below the name
    return [*statements(text), *bare]


# How far a number is trusted that stands alone, and nothing says what it counts (judgement).
ALONE = 0.5
# "2 rolls, about 12 slices each. 180 °C": what each is cut into belongs to their number.
_DIVIDED = re.compile(
    r"[,;|•·]\s+(?!(?:about\s+|ca\.?\s+)?\d{1,2}\s+[^\W\d_]+\s+each\b)|\s[–—/-]{1,2}\s|(?<=\beach)\.\s+"
)
# "12 cups": of what is called so.
SO_MANY_OF_IT = re.compile(
    r"(?:for\s+|makes\s+)?(?:about\s+)?(\d{1,2})\s+(?:(?:little|small|mini|tiny|big|large)\s+)?([^\W\d_]+)", re.I
)
_UNITS_THAT_ARE_PIECES = frozenset({"cups", "sticks", "sheets", "drops", "cloves", "leaves"})


def _is_of_eaters(stated: Stated) -> bool:
    return bool(stated.count and re.match(r"serves|feeds|enough", stated.text, re.I))


# From so much of a method on the thing itself is cut, and not what goes into it [share] (judgement).
LATE = 0.5
_OF_ONE = re.compile(OF_ONE, re.I)
# How far talk beside a recipe is trusted, and a story of when it was made for others (judgement).
SAID_BESIDE, STORY = 0.84, 0.3
_IS_A_STORY = re.compile(
    r"\b(?:i|we|he|she|they|mum|mother|gran(?:ny)?|dad)\b[^.;]{0,30}\b(?:once\s+)?(?:made|baked|served|fed|took|brought|cooked|ate|had)\b|\b(?:last|one) (?:year|week|month|summer|winter|christmas|easter|time)\b|\bthe original\b|\boriginally\b|\bonce (?:made|fed|served)\b",
    re.I,
)
# A line that tells portions, tin and time in turn is no longer than this [characters].
SHORT_LINE = 90


def stated_in(pieces: Iterable[Piece]) -> list[Stated]:
    """Return all that the text says of portions outside its title, each with how far its place is trusted."""
    pieces = list(pieces)
    first = next((p.component for p in pieces if p.role == "food"), "")
    sentences = sum(len(SENTENCE.split(p.text)) for p in pieces if p.role == "step")
    found: list[Stated] = []
    at = 0
    for before, piece in zip((None, *pieces), pieces, strict=False):
        # Only right under its heading is a component's own yield told.
        is_whole = piece.component in ("", first) or before is None or before.role != "heading"
        match piece.role:
            case "portions":
                is_story = _IS_A_STORY.search(piece.text) is not None
                told = [replace(s, trust=STORY * s.trust) if is_story else s for s in told_of(piece.text)]
                told = [replace(s, within=piece.text) for s in told]
                found += told if is_whole else [replace(s, trust=0.5 * s.trust) for s in told]
            case "chatter" | "time" | "junk" | "note":
                for sentence in SENTENCE.split(piece.text):
                    trust = STORY if _IS_A_STORY.search(sentence) else SAID_BESIDE
                    found += [replace(s, trust=trust * s.trust, within=sentence) for s in told_of(sentence) if is_whole]
            case "step":
                for sentence in SENTENCE.split(piece.text):
                    at += 1
                    if said := of_step(sentence, is_late=at >= LATE * sentences):
                        found.append(replace(said, within=_clause(sentence, said.text)))
            case "heading":
                found += [replace(s, within=piece.text) for s in _of_heading(piece.text, first, is_whole=is_whole)]
    each = _of_each_whole([piece.text for piece in pieces])
    return [each, *(replace(s, trust=0.5 * s.trust) for s in found)] if each else found


def _clause(sentence: str, said: str) -> str:
    """Return the part of a sentence that *said* stands in, between its commas: "divide between 12 cases" of "Beat in the 3 eggs, divide ..."."""
    at = sentence.find(said)
    if at < 0:
        return sentence
    begin = max((m.end() for m in _CLAUSE_END.finditer(sentence, 0, at)), default=0)
    end = _CLAUSE_END.search(sentence, at + len(said))
    return sentence[begin : end.start() if end else len(sentence)]


_CLAUSE_END = re.compile(r"[,;:()]|\s[–—-]\s|\b(?:and|then)\b")


def _of_heading(text: str, first: str, *, is_whole: bool) -> list[Stated]:
    """Return what a heading says of portions: that over the list, and that over the part that stands first."""
    if is_whole and _OF_ONE.match(text.strip(" *#_=:–—-")):
        return [Stated(Count(1, 1, "serving", "person", 0), "", 1.0, text)]
    if is_whole and heading_kind(text) == "ingredients":
        return _of_the_list(text)
    if not first or component_of(text) != first:
        return []
    # "For the filling (serves 6)", "POSSETS (6)", over the first of the parts
    told = [replace(s, trust=SURE) for s in statements(text) if _is_of_eaters(s)]
    alone = _COUNT_ALONE.search(text)
    many = int(alone[1] or alone[2]) if alone else 0
    return told or ([Stated(Count(many, many, "serving", "person", 0), "", 0.7, text)] if many else [])


# "POSSETS (6)", also with its amount put first
_COUNT_ALONE = re.compile(r"\(([1-9]\d?)\)\W*$|^([1-9]\d?) [A-Z]")
# "Each loaf cuts into 12."
_EACH_CUTS = re.compile(
    r"(?:^|[.;]\s+)each\s+(?P<whole>loaf|cake|roll|log|tart|pie|tray|tin)\s*(?:\s(?:cuts?(?: in)?to|makes|gives|serves|feeds)\s+|[:=]\s*|\s(?=(?:about\s+)?\d{1,2}\s+(?:slices|pieces|portions|squares)\b))(?:about\s+)?(?P<count>\d{1,2})\b",
    re.I,
)
_SO_MANY_WHOLES = re.compile(
    r"\b(?P<many>two|three|four|2|3|4)\s+(?:[\w-]+\s+){0,3}?(?:loaf tins|loaf pans|loaves|cakes|rolls|logs|tarts|pies|trays|tins)\b",
    re.I,
)
_WORD_COUNTS = {"two": 2, "three": 3, "four": 4}


def _of_each_whole(texts: list[str]) -> Stated | None:
    """Return how many portions all wholes make, where each is said to make so many and their number is told."""
    each = next((found for text in texts if (found := _EACH_CUTS.search(text))), None)
    many = next((found for text in texts if (found := _SO_MANY_WHOLES.search(text))), None) if each else None
    if each is None or many is None:
        return None
    wholes = _WORD_COUNTS.get(many["many"].lower()) or int(many["many"])
    count = wholes * int(each["count"])
    return Stated(
        Count(count, count, "slice", "piece", 0),
        f"{wholes} {plural(each['whole'].lower(), wholes)}",
        SURE,
        each[0].strip(" .;"),
    )


# "For 15 squares you'll need"
_NEEDED_FOR = re.compile(
    r"(?<=\w)\s+(?:you|we|brauchst|braucht|benötigt|il (?:vous )?faut|servono|ci vogliono|necesitas|se necesita)\b.*$",
    re.I,
)


def _of_the_list(heading: str) -> list[Stated]:
    """Return what the heading over the list says of portions: "Ingredients for 12 slices", "Ingredients (makes 12)"."""
    heading = _NEEDED_FOR.sub("", heading)
    inside = re.search(r"\(([^)]*)\)", heading)
    said = said_in(inside[1]) if inside else None
    return [*told_of(re.sub(r"\([^)]*\)", "", heading)), *([said] if said else [])]
