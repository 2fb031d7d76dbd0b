"""The title of a text: above its list, below it, or told in a sentence."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.reading.counts import kind_of
from sun_crumb.core.reading.dessert_words import ends_with_a_dessert, holds_a_dessert
from sun_crumb.core.reading.food_ends import first_word
from sun_crumb.core.reading.headings import FOR_THE, heading_kind, names_a_part
from sun_crumb.core.reading.pieces import Piece, is_followed_by_food
from sun_crumb.core.reading.portion_asides import of_title
from sun_crumb.core.reading.prose_names import named_in_prose
from sun_crumb.core.reading.title_below import LINKS, named_in_one, title_below
from sun_crumb.core.reading.title_words import FIELD, title_of
from sun_crumb.core.reading.told_names import named_in_talk
from sun_crumb.core.reading.words import word_list

MOST_HEAD_PIECES = 4


def with_title(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with their title; where what stands as one names no dessert, and a line by itself does, that line."""
    return named_in_prose(_apart_from_its_method(_named_first(_named_apart(_by_its_dessert(_with_title(pieces))))))


def _apart_from_its_method(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with a title that goes on to what is done taken in two: "= Orange honey cake. Whisk wet, fold in dry"."""
    for n, piece in enumerate(pieces):
        told = _NAME_THEN_DONE.match(piece.text) if piece.role == "title" else None
        if told and first_word(piece.text[told.end() :]) in word_list("verb"):
            rest = replace(piece, text=piece.text[told.end() :], role="step")
            return [*pieces[:n], replace(piece, text=told[1]), rest, *pieces[n + 1 :]]
    return pieces


_NAME_THEN_DONE = re.compile(r"\W*([^\W\d_][^\d.:;,!?]{3,50})\.\s+(?=[A-Z][a-z]+\b.*[,.])")


def _named_first(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the dessert that the first words below a list name as a title, where nothing else does: "TOFU MOUSSE. Melt, blend"."""
    at = next((n for n, piece in enumerate(pieces) if piece.role == "title"), None)
    if at is not None and (holds_a_dessert(pieces[at].text) or not names_a_part(pieces[at].text)):
        return pieces
    for n, piece in enumerate(pieces):
        named = (
            _NAME_THEN_TALK.match(piece.text) or _NAME_ALONE.match(piece.text) or _SHOUTED_NAME.match(piece.text)
            if piece.role in _TALK
            else None
        )
        is_part = named is not None and names_a_part(named[1]) and " " not in named[1].strip()
        if named and not is_part and first_word(named[1]) not in word_list("verb") and ends_with_a_dessert(named[1]):
            rest = replace(piece, text=piece.text[named.end() :])
            # "Shortcrust: 200 g flour, ...": what stood as a title is a part's name.
            found = [
                replace(p, role="heading", text=f"{p.text.rstrip(' :')}:") if m == at else p
                for m, p in enumerate(pieces)
            ]
            return [*found[:n], replace(piece, text=named[1], role="title"), rest, *found[n + 1 :]]
    return pieces


_TALK = frozenset({"step", "time", "chatter", "note", "portions", "junk"})
# "Eve's pudding for 4 to 6", below "What you get"
_NAME_ALONE = re.compile(r"([A-Z][^.!?:;,\d]{3,40}?)(?=\s+for\s+\d{1,2}(?:\s*(?:-|–|to)\s*\d{1,2})?\W*$)")
# "WELSH CAKES – Rub in, add the rest", below the list
_SHOUTED_NAME = re.compile(r"\W*([A-Z][A-Z &'’-]{4,40}?)\s[–—-]\s+(?=[A-Z][a-z])")
_NAME_THEN_TALK = re.compile(r"\W*([A-Z][^.!?:;,\d]{3,50})[.!:]\s+(?=\S)")


def _named_apart(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with a title that sounds like a food, where none else is: "Pavlova with summer fruit", by itself below the list."""
    if any(piece.role == "title" for piece in pieces):
        return pieces
    for n, piece in enumerate(pieces):
        before, after = pieces[n - 1 : n] if n else [], pieces[n + 1 : n + 2]
        is_apart = all(other.number < piece.number - 1 for other in before) and all(
            other.number > piece.number + 1 for other in after
        )
        name = piece.text.strip(" *#_=:")
        is_name = _OF_WORDS.fullmatch(name) and len(name.split()) <= MOST_TITLE_WORDS and holds_a_dessert(name)
        if piece.role in ("food", "chatter", "heading") and is_apart and is_name and n:
            return [*pieces[:n], replace(piece, role="title"), *pieces[n + 1 :]]
    if pieces and (named := _NAMED_LAST.fullmatch(pieces[-1].text)) and pieces[-1].role in _TALK | {"heading"}:
        return [*pieces[:-1], replace(pieces[-1], text=named[1], role="title")]
    return pieces


# "(Stuffed peaches)", below all that is told
_NAMED_LAST = re.compile(r"\s*[(\[]\s*([A-Z][^()\[\]\d.!?:;,]{3,40}?)\s*[)\]]\s*")


def _by_its_dessert(pieces: list[Piece]) -> list[Piece]:
    at = next((n for n, p in enumerate(pieces) if p.role == "title"), None)
    is_long = at is not None and len(pieces[at].text) > LONGEST_LINE_OF_A_NAME
    if is_long or (at is not None and holds_a_dessert(title_of(pieces)[0])):
        return pieces
    named = [n for n, piece in enumerate(pieces) if n != at and _names_the_dessert(pieces, n)]
    if not named:
        return pieces
    found = list(pieces)
    if at is not None:
        found[at] = replace(pieces[at], role="junk")
    # The one right above the list, where several stand there: the others name a page and its like.
    foods = next((n for n, piece in enumerate(pieces) if piece.role == "food" and n not in named), len(pieces))
    best = max((n for n in named if n < foods), default=named[0])
    if at is not None and best > foods and not re.search(r"[,:|]|--", pieces[at].text):
        return pieces  # a name of its own stands above the list
    found[best] = replace(pieces[best], role="title")
    return found


# What begins a line that praises or leads on, and names nothing.
_BESIDE_A_NAME = frozenset(
    [
        "more",
        "other",
        "related",
        "see",
        "also",
        "my",
        "our",
        "this",
        "perfect",
        "great",
        "best",
        "easy",
        "quick",
        "good",
        "nutrition",
        "per",
        "stale",
        "white",
        "brown",
        "sliced",
    ]
)


_CAPITAL_FIRST, _OF_WORDS = re.compile(r"\W*[A-Z]"), re.compile(r"[A-Z][^.!?:;\d]{2,70}")
# No line that is a name, and what it says of portions, is longer [characters].
LONGEST_LINE_OF_A_NAME = 110


def _is_said_below(pieces: list[Piece], n: int) -> bool:
    """Return whether a line in brackets says right below the first one what that is: "(Plum tray cake)"."""
    is_bracket = re.fullmatch(r"\s*\([^()]+\)\s*", pieces[n].text) is not None
    return is_bracket and n == 1 and pieces[0].role == "title" and pieces[0].number + 1 == pieces[1].number


def _names_the_dessert(pieces: list[Piece], n: int) -> bool:
    """Return whether a line by itself, over no food of its own, is a few words that end with what a dessert is called."""
    piece = pieces[n]
    if _is_said_below(pieces, n):
        return False
    may_be = piece.role in ("heading", "chatter", "portions", "junk", "food") and _CAPITAL_FIRST.match(piece.text)
    if not may_be or len(piece.text) > LONGEST_LINE_OF_A_NAME:
        return False
    is_asked = any(p.role == "title" and p.text.rstrip().endswith("?") for p in pieces)
    if piece.role == "heading" and is_followed_by_food(pieces, n) and not (is_asked and _names_all(pieces, n)):
        return False  # but "What to do with egg whites?" and "COCONUT MACAROONS", over all there is
    name, said = of_title(piece.text.strip(" *#_=:|,"))
    is_alone = n > 0 and pieces[n - 1].number + 1 < piece.number and pieces[n + 1 : n + 2] != []
    is_apart = is_alone and pieces[n + 1].number > piece.number + 1 and name.istitle()
    if piece.role in ("food", "portions") and (said is None or said.count is None) and not is_apart:
        return False  # but "Raspberry Ripple Swiss Roll", by itself between empty lines
    words = name.strip(" *#_=:|,").split()
    if not 0 < len(words) <= MOST_TITLE_WORDS or not _OF_WORDS.fullmatch(" ".join(words)):
        return False
    first = words[0].lower()
    if first in word_list("verb") or first in LINKS or first in _BESIDE_A_NAME:
        return False
    is_part = name.lower() in word_list("component") or heading_kind(name) != ""
    return not is_part and not _of_web(name) and ends_with_a_dessert(name)


def _with_title(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the title that stands below the list, where none stands above: a heading over no food, or a dessert's name."""
    # "Ingredients for the base:" names a part, and no dessert.
    pieces = [replace(p, role="heading") if p.role == "title" and _names_a_part(p.text) else p for p in pieces]
    is_named = any(p.role == "title" and not p.text.rstrip().endswith("?") for p in pieces)
    is_talk = not any(p.role == "title" and holds_a_dessert(p.text) for p in pieces)
    named = next(
        (
            n
            for n, p in enumerate(pieces[:MOST_HEAD_PIECES])
            if FIELD.match(p.text)
            and (
                # "Subject: RE: the birthday cake", over "Hiya! It's easy:"
                (is_talk and holds_a_dessert(p.text))
                or ((n or not is_named) and not (is_named and _OF_A_LETTER.match(p.text)))
            )
        ),
        None,
    )
    if named is not None:
        # "Name: Blackberry clafoutis", under what heads every card
        heads = [replace(p, role="junk") if p.role == "title" else p for p in pieces[:named]]
        below = [replace(p, role="chatter") if p.role == "title" else p for p in pieces[named + 1 :]]
        return [*heads, replace(pieces[named], role="title"), *below]
    if any(p.role == "title" for p in pieces):
        pieces = _below_its_site(_below_what_leads_in(pieces))
        return _with_broken_title(_named_below_talk(_below_the_masthead(pieces)))
    if pieces and _may_be_title(pieces[0]):
        return [replace(pieces[0], role="title"), *pieces[1:]]
    if pieces and (in_one := named_in_one(pieces[0])):
        return [*in_one, *pieces[1:]]
    if found := _named_above(pieces) or title_below(pieces):
        return found
    if told := named_in_talk(pieces):
        return [told, *pieces]
    return pieces


def _names_a_part(text: str) -> bool:
    """Return whether what stands first names a part: "Ingredients for the base:", "Sponge:" over the left of two columns."""
    is_part = text.rstrip().endswith(":") and text.strip(" :").lower() in word_list("component")
    is_lettered = (part := _LETTERED.fullmatch(text.strip())) is not None and part[1].lower() in word_list("component")
    for_it = FOR_THE.match(text.strip(" *#_"))
    is_for_it = for_it is not None and for_it[1].lower().split()[-1] in word_list("component")
    return is_part or is_lettered or is_for_it or _OF_A_PART.match(text) is not None


# "A. Sponge"
_LETTERED = re.compile(r"[A1I][.)]\s+([^\W\d_]+)\s*:?")


def _below_the_masthead(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the dessert's name as title, where the number of an issue or a card stands above it: "Sunday Bakes No. 41" and "TREACLE LOAF"."""
    at = next(n for n, p in enumerate(pieces) if p.role == "title")
    named = at + 1 < len(pieces) and pieces[at + 1].role in ("heading", "chatter")
    words = re.findall(r"[^\W\d_]+", pieces[at].text.lower())
    if any(kind_of(word) in ("piece", "whole") for word in words):
        return pieces  # "CHERRY TRAYBAKE -- card no. 27"
    if not named or not _MASTHEAD.search(pieces[at].text) or len(pieces[at + 1].text.split()) > MOST_TITLE_WORDS:
        return pieces
    return [
        *pieces[:at],
        replace(pieces[at], role="junk"),
        replace(pieces[at + 1], role="title"),
        *pieces[at + 2 :],
    ]


def _below_what_leads_in(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the dessert's name as title, where a line with a colon leads in what follows: "The recipe begins here:" and "Fig Tart"."""
    at = next(n for n, p in enumerate(pieces) if p.role == "title")
    if at + 1 >= len(pieces):
        return pieces
    is_led = pieces[at].text.rstrip().endswith(":") and _is_dessert(pieces[at + 1])
    if not is_led and not (
        _AWAITS_NAME.search(pieces[at].text) and pieces[at + 1].role in ("heading", "chatter", "portions")
    ):
        return pieces
    return [
        *pieces[:at],
        replace(pieces[at], role="junk"),
        replace(pieces[at + 1], role="title"),
        *pieces[at + 2 :],
    ]


def _below_its_site(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the dessert's name as title, where a site's or a writer's name stands in the line above: "The Blue Kettle" and "Victoria plum crumble"."""
    at = next(n for n, p in enumerate(pieces) if p.role == "title")
    if (
        at + 2 >= len(pieces)
        or pieces[at + 1].number != pieces[at].number + 1
        or pieces[at + 1].role not in ("chatter", "food")
    ):
        return pieces
    site, name = pieces[at].text, pieces[at + 1].text.strip(" *#_=:")
    words = name.split()
    is_of_none = not any(kind_of(w.lower()) for w in re.findall(r"[^\W\d_]+", site)) and site.split()[0] in (
        "The",
        "From",
        "At",
    )
    is_named = LEAST_NAMED <= len(words) <= MOST_TITLE_WORDS and kind_of(words[-1].lower()) in ("piece", "whole")
    if not (is_of_none and is_named) or re.search(r"[\d.!?,]", name):
        return pieces
    return [*pieces[:at], replace(pieces[at], role="junk"), replace(pieces[at + 1], role="title"), *pieces[at + 2 :]]


LEAST_NAMED = 3
# "Here is the recipe for", above the name
_AWAITS_NAME = re.compile(
    r"\b(?:recipe|is|how (?:i|we) (?:make|do|bake))\s+(?:for|my|our|the)(?:\s+(?:my|our|the|a))?\s*:?$", re.I
)
_MASTHEAD = re.compile(r"\b(?:no|nr|issue|vol|volume|card|page|p|part|recipe)\b\.?\s*#?\d{1,4}\W*$|#\d{1,4}\W*$", re.I)


def _named_below_talk(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the dessert's name as title, where a page's talk stands between it and what the page is called: "Why I bake on Sundays", ..., "Pear cake"."""
    at = next(n for n, p in enumerate(pieces) if p.role == "title")
    head = [n for n, p in enumerate(pieces) if n > at and p.role == "food"][:1]
    between = range(at + 1, head[0] if head else at + 1)
    talk = next((n for n in between if len(pieces[n].text.split()) >= LEAST_TALK), None)
    named = [n for n in between if talk is not None and n > talk and _is_dessert(pieces[n])]
    is_dessert = any(kind_of(word.lower()) in ("piece", "whole") for word in re.findall(r"[^\W\d_]+", pieces[at].text))
    if not named or is_dessert:
        return pieces
    found = list(pieces)
    found[at], found[named[-1]] = replace(pieces[at], role="chatter"), replace(pieces[named[-1]], role="title")
    return found


# So many words are talk, and no name.
LEAST_TALK = 15


def _is_dessert(piece: Piece) -> bool:
    """Return whether a piece is a few words that name a dessert: "Pear & Cardamom Upside-Down Cake"."""
    name = of_title(piece.text)[0].strip(" *#_=:")
    return (
        piece.role in ("chatter", "heading")
        and len(name.split()) <= MOST_TITLE_WORDS
        and _CAPITAL_NAME.fullmatch(name) is not None
        and name.lower() not in word_list("component")
        and kind_of(name.split()[-1].lower()) in ("piece", "whole")
    )


_CAPITAL_NAME = re.compile(r"[A-Z][^.!?:;\d]{3,60}")


_OF_A_PART = re.compile(r"(?:ingredients|zutaten|you need)\s+for\s+the\s+[^:]{2,30}:\s*$", re.I)


def _named_above(pieces: list[Piece]) -> list[Piece] | None:
    """Return pieces with the name that stands above the list behind talk, or what it makes, as title: "here it is", "Rhubarb fool", "6 glasses"; None where none does."""
    head = next((n for n, p in enumerate(pieces) if p.role == "food" and _IS_WEIGHED.search(p.text)), 0)
    for n, piece in enumerate(pieces[:head]):
        name = of_title(piece.text)[0].strip(" *#_=:")
        words = name.split()
        if piece.role not in ("food", "heading", "chatter", "portions") or not 1 <= len(words) <= MOST_TITLE_WORDS:
            continue
        bare = re.sub(r"\s*\([^()]*\)", "", name)
        if words[0].lower().rstrip(":") in _OF_PORTIONS:
            continue
        if not _WORDS_ALONE.fullmatch(bare) or heading_kind(name):
            continue
        is_dessert = kind_of(bare.split()[-1].lower()) in ("piece", "whole")
        if words[0].lower() in word_list("verb") | LINKS and not (is_dessert and bare[:1].isupper()):
            continue  # "Drop scones" may be one
        is_told = (
            name != piece.text.strip() and piece.role in ("portions", "food") and of_title(piece.text)[1] is not None
        )
        is_counted = pieces[n + 1].role == "portions" or is_told
        is_apart = pieces[n + 1].role in ("portions", "time") or pieces[n + 1].number > piece.number + 1
        is_part = piece.role == "heading" and not (is_apart or _names_all(pieces, n))
        if not is_part and (is_dessert or is_counted or (bare[:1].isupper() and piece.role == "heading")):
            return [*pieces[:n], replace(piece, role="title"), *pieces[n + 1 :]]
    return None


def _names_all(pieces: list[Piece], n: int) -> bool:
    """Return whether a heading stands over every food of the text, and is no word for a part of a dessert."""
    others = [p for p in pieces if p.role == "heading" and p is not pieces[n] and not heading_kind(p.text)]
    words = {word.lower() for word in re.findall(r"[^\W\d_]+", pieces[n].text)}
    is_dessert = len(words) > 1 and pieces[n].text.isupper() and ends_with_a_dessert(pieces[n].text)
    is_part = bool(words & word_list("component")) and not is_dessert  # but "SUMMER PUDDING"
    return pieces[n].role == "heading" and n > 0 and not others and not is_part


# A food with its measure: where the list begins.
_IS_WEIGHED = re.compile(r"[\d½¼¾⅓⅔]\s*(?:k?g|m?l|dl|cl|oz|lbs?|c|cups?|tsps?|tbsps?|teasp\w*|tablesp\w*|t)\b", re.I)
_OF_PORTIONS = frozenset(
    {
        "serves",
        "serve",
        "serving",
        "servings",
        "makes",
        "yield",
        "yields",
        "gives",
        "feeds",
        "enough",
        "portions",
        "pieces",
        "slices",
        "quantity",
    }
)
_WORDS_ALONE = re.compile(r"[^\W\d_][^.!?:\d]{3,60}")


def _with_broken_title(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with a title whose last words stand on the next line, above an empty one: "Grandmother's apple" and "crumble"."""
    at = next(n for n, p in enumerate(pieces) if p.role == "title")
    if at + 1 >= len(pieces):
        return pieces
    title, piece = pieces[at], pieces[at + 1]
    words = piece.text.strip(" *#_=:.").split()
    is_torn_off = piece.role == "food" and piece.text[:1].islower() and pieces[at + 2 : at + 3] != []
    is_two_lined = (
        piece.role == "chatter"
        and piece.number == title.number + 1
        and max(len(title.text.split()), len(words)) <= MOST_BROKEN_OFF
        and piece.text[:1].isupper()
        and pieces[at + 2 : at + 3] != []
        and pieces[at + 2].number > piece.number + 1
        and not re.search(r"[\W\d_]", (title.text + piece.text).replace(" ", ""))
    )
    if is_two_lined or (
        (piece.role in ("heading", "chatter") or (is_torn_off and pieces[at + 2].number > piece.number + 1))
        and piece.number == title.number + 1
        and 1 <= len(words) <= MOST_BROKEN_OFF
        and kind_of(words[-1].lower()) in ("piece", "whole")
        and kind_of(title.text.split()[-1].lower()) not in ("piece", "whole")
        and not re.search(r"[\d:]|[.!?]$", title.text + piece.text.strip())
        and not (at + 2 < len(pieces) and pieces[at + 2].role == "food" and pieces[at + 2].number == piece.number + 1)
    ):
        return [
            *pieces[:at],
            replace(title, text=f"{title.text} {piece.text.strip()}"),
            *pieces[at + 2 :],
        ]
    return pieces


MOST_BROKEN_OFF = 2
# What a letter is about names its recipe where nothing else does.
_OF_A_LETTER = re.compile(r"(?:re|fwd?|subj(?:ect)?)\s*:", re.I)


MOST_TITLE_WORDS = 9


def _may_be_title(piece: Piece) -> bool:
    """Return whether a few words that a text begins with may name it: "My raw cheesecake!! vegan gf"."""
    is_short = piece.role == "chatter" and len(piece.text.split()) <= MOST_TITLE_WORDS
    return is_short and not _NO_TITLE.search(piece.text) and not _of_web(piece.text)


_NO_TITLE = re.compile(r"[.:]$|^\W*(?:hi|hello|dear|hey)\b|\bby\b|@|\d{4}", re.I)


def _of_web(text: str) -> bool:
    words = set(re.findall(r"[a-z]+", text.lower()))
    return bool(words & (word_list("page_lead") | {"print", "share", "posted", "comments", "jump", "recipe", "www"}))
