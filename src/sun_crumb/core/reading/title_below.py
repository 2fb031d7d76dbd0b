"""The title that stands below a list, or with how it is made in one go."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.reading.counts import kind_of
from sun_crumb.core.reading.dessert_words import ends_with_a_dessert, holds_a_dessert
from sun_crumb.core.reading.food_ends import first_word
from sun_crumb.core.reading.headings import heading_kind
from sun_crumb.core.reading.pieces import SENTENCE, Piece, is_followed_by_food
from sun_crumb.core.reading.portion_asides import of_title
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.words import word_list

# A list that a counted name stands below has more foods than so many [1].
LEAST_ABOVE = 4


def title_below(pieces: list[Piece]) -> list[Piece] | None:
    """Return pieces with a title that stands below the list: a heading over no food, or a dessert's name; None where there is none."""
    if told := _told_below(pieces):
        return told
    for n, piece in enumerate(pieces):
        if not n or piece.role not in ("heading", "food", "step", "note", "chatter", "junk", "portions"):
            continue
        name = _name_in(piece)
        is_one_word = re.fullmatch(r"[A-Z][^\W\d_]+", name) is not None and kind_of(name.lower()) == "piece"
        if (
            not (_NAME.fullmatch(name) or is_one_word)
            or heading_kind(name)
            or name.split()[0].lower() in word_list("verb") | LINKS
        ):
            continue
        if _DONE_WITH_IT.search(name):
            continue  # "Teaspoonfuls on the trays"
        is_named = kind_of(name.split()[-1].lower()) in ("piece", "whole") or (
            # "Gingerbread people. Gives 2 dozen.": below everything, and how many it makes behind it.
            n + 1 == len(pieces) and bool(statements(piece.text)) and piece.role in ("step", "portions")
        )
        # "Apple honey muffins (12)", below a list: so many of them are made.
        is_counted_last = _COUNT_BEHIND.search(piece.text) and sum(p.role == "food" for p in pieces[:n]) > LEAST_ABOVE
        if _named_then_told(piece, name) and n > len(pieces) // 3:
            first, rest = SENTENCE.split(piece.text, maxsplit=1)
            told = [replace(piece, text=first, role="title"), replace(piece, text=rest)]
            return [*pieces[:n], *told, *pieces[n + 1 :]]
        # "Torta caprese" below the list, over "10 servings"
        is_over_portions = (
            piece.role == "food"
            and pieces[n + 1 : n + 2] != []
            and pieces[n + 1].role == "portions"
            and not any(later.role == "food" for later in pieces[n + 1 :])
            and holds_a_dessert(name)
        )
        is_named = is_named or is_over_portions
        is_over_none = piece.role == "heading" and (is_counted_last or not is_followed_by_food(pieces, n))
        if is_over_none or (piece.role != "heading" and is_named):
            is_counted = piece.role in ("food", "junk") and of_title(piece.text)[0] == name
            if is_over_none or is_counted or name == re.sub(r"[\"“”]", "", piece.text).strip(" *#_=:."):
                return [*pieces[:n], replace(piece, role="title"), *pieces[n + 1 :]]
            _, *more = SENTENCE.split(piece.text, maxsplit=1)
            if piece.role == "step" and more:
                piece = replace(piece, text=more[0], role="portions" if statements(more[0]) else "step")
            return [Piece(name, "title", piece.component, piece.number), *pieces[:n], piece, *pieces[n + 1 :]]
    return _before_its_facts(pieces)


def named_in_one(piece: Piece) -> list[Piece]:
    """Return the name, how many and how of a recipe that is told in one go: "Eton mess. Serves 6. Whip the cream"; none where a text begins otherwise."""
    first, *rest = SENTENCE.split(piece.text, maxsplit=1)
    words = first.strip(" .").split()
    is_name = 0 < len(words) <= MOST_NAMED_WORDS and re.fullmatch(r"[A-Z][^\d:;,]*", first) is not None
    if not rest or not is_name or words[0].lower() in word_list("verb") | LINKS or not statements(rest[0][:24]):
        return []
    return [replace(piece, text=first, role="title"), replace(piece, text=rest[0])]


def _named_then_told(piece: Piece, name: str) -> bool:
    """Return whether a step begins with the dessert's name, and how it is made behind that: "Quince paste. Boil the quinces"."""
    first, *rest = SENTENCE.split(piece.text, maxsplit=1)
    is_name = piece.role == "step" and first.strip(" .") == name and len(name.split()) <= MOST_NAMED_WORDS
    return (
        bool(rest)
        and is_name
        and re.match(r"[A-Z]", rest[0]) is not None
        and rest[0].split()[0].lower() in word_list("verb")
    )


# A name before what is done has so many words.
MOST_NAMED_WORDS = 5
_DONE_WITH_IT = re.compile(
    r"\b(?:on|in|into|onto|over)\s+(?:the|a|your)\s+(?:\w+\s+)?(?:trays?|tins?|pans?|oven|sheets?|rack|bowl)$", re.I
)
# "To make a good rice cake. Take half a pound ..."
_TO_MAKE = re.compile(r"^to make (?:an?|some|the)\s+", re.I)


def _told_below(pieces: list[Piece]) -> list[Piece] | None:
    """Return pieces with the title that a sentence tells with how many it makes, or one of the last lines as such; None where none does."""
    is_below = False
    for n, piece in enumerate(pieces):
        is_below = is_below or piece.role == "food"
        # "Toasty granola - 14 servings of 50 g", below the list
        told = ("step", "note", "chatter", "portions") if is_below else ("step", "note", "chatter")
        if piece.role in told and (split := _named_and_counted(piece)):
            return [*pieces[:n], *split, *pieces[n + 1 :]]
    for n in range(max(0, len(pieces) - 2), len(pieces)):
        if _NAMED_LAST.match(pieces[n].text):
            return [*pieces[:n], replace(pieces[n], role="title"), *pieces[n + 1 :]]
    return None


def _before_its_facts(pieces: list[Piece]) -> list[Piece] | None:
    """Return pieces with the title that begins one of the last lines, before figures: "Plum cake, 26 cm tin, 12 slices, 180 °C 45 min"."""
    for piece in pieces[-2:]:
        named = _BEFORE_ITS_FACTS.match(piece.text) or _BEFORE_ITS_TIN.match(piece.text)
        if named and ends_with_a_dessert(named[1]) and first_word(named[1]) not in word_list("verb") | LINKS:
            return [Piece(named[1], "title", piece.component, piece.number), *pieces]
    return None


# The name, and two figures behind it
_BEFORE_ITS_FACTS = re.compile(
    r"([A-Z][^\W\d_]+(?:[ '’&-]+[^\W\d_]+){0,4})\s*[,;|·•–—-]\s+(?=[^.!?\d]{0,40}\d{1,3}\b[^.!?]{1,60}[,;|·•–—-]\s+\d{1,3}\b[^.!?]{0,80}$)"
)


# "Basque cheesecake, 10" tin lined with paper. Beat ..."
_BEFORE_ITS_TIN = re.compile(
    r"([A-Z][^\W\d_]+(?:[ '’&-]+[^\W\d_]+){0,4}),\s+\d{1,2}\s*(?:\"|″|-?inch|in\b|cm)[^.!?]{0,40}\b(?:tin|pan|dish|ring|mould)\b[^.!?]{0,30}[.!]\s+[A-Z]"
)


def _named_and_counted(piece: Piece) -> list[Piece]:
    """Return the title and the rest of a piece that begins with a name and how many it makes: "Vanilla crescents, about 40 pieces. Knead"."""
    first, *more = SENTENCE.split(piece.text, maxsplit=1)
    first, is_to_make = _TO_MAKE.subn("", first.rstrip(" ."))
    name, said = of_title(first)
    is_named = is_to_make or (said is not None and said.count)
    if not is_named or not _NAME.fullmatch(name) or name.split()[0].lower() in word_list("verb") | LINKS:
        return []
    title = replace(piece, text=first, role="title")
    return [title, *(replace(piece, text=text) for text in more)]


# "3. Result: Lemon drizzle cake, 12 slices"
_NAMED_LAST = re.compile(r"(?:\d\s*[.)]\s+)?(?:(?:title|recipe|name|dish|result)\s*:|=(?!=))\s*(?=[A-Z])", re.I)


def _name_in(piece: Piece) -> str:
    """Return what of a piece may be the dessert's name."""
    named, said = of_title(piece.text)
    # "LEMON SWISS ROLL (8 slices)", "Brownies - tray of 24"
    is_counted = said is not None and said.count is not None and piece.role in ("food", "junk")
    told = named if piece.role == "portions" or is_counted else SENTENCE.split(piece.text)[0]
    if piece.role == "heading":
        told = _COUNT_BEHIND.sub("", named if said is not None and said.count is not None else told)
    return _TO_MAKE.sub("", re.sub(r"[\"“”]", "", told).strip(" *#_=:.–—-"))


_NAME = re.compile(r"[A-Z][^\W\d_]*(?:,?[\s'’&-]+[^\W\d_]+){1,5}")
# "OATMEAL COOKIES (24)"
_COUNT_BEHIND = re.compile(r"\s*\(\d{1,3}\)\s*$")
LINKS = frozenset({"for", "to", "the", "you", "then", "and", "a", "an", "some", "your"})
