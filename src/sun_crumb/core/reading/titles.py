"""The title of a text: above its list, below it, or told in a sentence."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.reading.counts import kind_of
from sun_crumb.core.reading.dessert_words import ends_with_a_dessert, holds_a_dessert
from sun_crumb.core.reading.headings import FOR_THE, heading_kind
from sun_crumb.core.reading.pieces import SENTENCE, Piece, is_followed_by_food
from sun_crumb.core.reading.portion_asides import of_title
from sun_crumb.core.reading.portion_cues import Stated, statements
from sun_crumb.core.reading.stated import told_of
from sun_crumb.core.reading.words import word_list

MOST_HEAD_PIECES = 4
# "#banana #bread"; "MOUSSE ........ serves 6", "MOUSSE . . . . serves 6"
_HASH, _LEADERS = re.compile(r"(?<!\S)#(?=\w)"), re.compile(r"\s*(?:[.…]{3,}|(?:\s\.){3,80})\s*$")


def title_of(pieces: list[Piece]) -> tuple[str, list[Stated]]:
    """Return the title that pieces have, without what is said beside it, and what that says of portions."""
    first = next((p for p in pieces if p.role == "title"), None)
    if first is None:
        return "", []
    # "Cheesecake • Chill 4 h • 12 slices": what stands behind the first mark is said about it.
    told_apart = _SPACED_OUT.sub(" ", first.text)
    named, *more = re.split(
        r"\s+(?:[•|·~]|//)\s+|\s{3,}|;\s+|\s*[-–—]+\s+(?=serving size\b)",
        _unquoted(_SHOUTED.sub("", told_apart).strip(" *#_=|·•»«›‹~<>+^≡≈¦†‡")),
    )
    title, said = of_title(_HASH.sub("", _FIELD.sub("", named)))
    if re.match(r"\W*#\d", first.text):
        title = re.sub(r"^\d{1,3}\W+", "", title)  # "#3 Banana bread"
    if asked := _ASKED_ABOUT.search(title):
        title = asked[1][:1].upper() + asked[1][1:]  # "hi love, you asked about the bread pudding"
    title = _HOW_ONE_MAKES.sub(r"\1", title)
    title = _ASKED_FOR_ONE.sub(r"\1", _ASKED_WITHOUT.sub(r"\1", title))
    title = _IN_A_QUESTION.sub(r"\1", _THEN_TALK.sub(r"\1", title))
    if led := _LEADS_IN.match(title):
        title = re.sub(r"\s+recipe$", "", title[led.end() :], flags=re.I)
    return re.sub(r"\s{2,}", " ", _LEADERS.sub("", title.strip(" *#_=|:/–—-")).removesuffix(" .").rstrip(".")), [
        *([said] if said else []),
        *(told for part in more for told in told_of(part)),
    ]


# "BAKEWELL   TART": words in capitals, spaced out
_SPACED_OUT = re.compile(r"(?<=[A-Z])\s{3,}(?=[A-Z]{2,}(?:\s{3,}[A-Z]{2,}){0,4}\W*$)")


def _unquoted(title: str) -> str:
    """Return a title without the marks of a quotation around it, or around its name: "“Never fails” tart" keeps its own."""
    if (
        re.match(r"[\"“]", title)
        and (title.count('"') + title.count("“") + title.count("”")) <= 2
        and re.search(r"[\"”]\W*$", title)
    ):
        return re.sub(r"[\"“”]", "", title)
    return title


def with_title(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with their title; where what stands as one names no dessert, and a line by itself does, that line."""
    return _by_its_dessert(_with_title(pieces))


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
    ]
)


_CAPITAL_FIRST, _OF_WORDS = re.compile(r"\W*[A-Z]"), re.compile(r"[A-Z][^.!?:;\d]{2,70}")
# No line that is a name, and what it says of portions, is longer [characters].
LONGEST_LINE_OF_A_NAME = 110


def _names_the_dessert(pieces: list[Piece], n: int) -> bool:
    """Return whether a line by itself, over no food of its own, is a few words that end with what a dessert is called."""
    piece = pieces[n]
    may_be = piece.role in ("heading", "chatter", "portions", "junk", "food") and _CAPITAL_FIRST.match(piece.text)
    if not may_be or len(piece.text) > LONGEST_LINE_OF_A_NAME:
        return False
    if piece.role == "heading" and is_followed_by_food(pieces, n):
        return False
    name, said = of_title(piece.text.strip(" *#_=:|,"))
    if piece.role in ("food", "portions") and (said is None or said.count is None):
        return False
    words = name.strip(" *#_=:|,").split()
    if not 0 < len(words) <= MOST_TITLE_WORDS or not _OF_WORDS.fullmatch(" ".join(words)):
        return False
    first = words[0].lower()
    if first in word_list("verb") or first in _LINKS or first in _BESIDE_A_NAME:
        return False
    is_part = name.lower() in word_list("component") or heading_kind(name) != ""
    return not is_part and not _of_web(name) and ends_with_a_dessert(name)


def _with_title(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the title that stands below the list, where none stands above: a heading over no food, or a dessert's name."""
    # "Ingredients for the base:" names a part, and no dessert.
    pieces = [replace(p, role="heading") if p.role == "title" and _names_a_part(p.text) else p for p in pieces]
    is_named = any(p.role == "title" and not p.text.rstrip().endswith("?") for p in pieces)
    named = next(
        (
            n
            for n, p in enumerate(pieces[:MOST_HEAD_PIECES])
            if (n or not is_named) and _FIELD.match(p.text) and not (is_named and _OF_A_LETTER.match(p.text))
        ),
        None,
    )
    if named is not None:
        # "Name: Blackberry clafoutis", under what heads every card
        heads = [replace(p, role="junk") if p.role == "title" else p for p in pieces[:named]]
        return [*heads, replace(pieces[named], role="title"), *pieces[named + 1 :]]
    if any(p.role == "title" for p in pieces):
        pieces = _below_its_site(_below_what_leads_in(pieces))
        return _with_broken_title(_named_below_talk(_below_the_masthead(pieces)))
    if pieces and _may_be_title(pieces[0]):
        return [replace(pieces[0], role="title"), *pieces[1:]]
    if pieces and (in_one := _named_in_one(pieces[0])):
        return [*in_one, *pieces[1:]]
    if found := _named_above(pieces) or _title_below(pieces):
        return found
    spoken = (
        m
        for p in pieces
        for m in [
            _SPOKEN_OF.search(p.text)
            or _CALLED.search(p.text)
            or _ASKED_FOR.search(p.text)
            or _MADE_BY_ME.match(p.text)
            or _ASKED_ABOUT.search(p.text)
        ]
        if m
    )
    told_of_one = (m for p in pieces[:2] for m in _TELLS_OF.finditer(p.text[:TOLD_WITHIN]) if ends_with_a_dessert(m[1]))
    if told := next(spoken, None) or next(told_of_one, None):
        return [Piece(told[1][:1].upper() + told[1][1:], "title", "", 0), *pieces]
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
        if words[0].lower() in word_list("verb") | _LINKS and not (is_dessert and bare[:1].isupper()):
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
    return pieces[n].role == "heading" and n > 0 and not others and not words & word_list("component")


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


def _title_below(pieces: list[Piece]) -> list[Piece] | None:
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
            or name.split()[0].lower() in word_list("verb") | _LINKS
        ):
            continue
        if _DONE_WITH_IT.search(name):
            continue  # "Teaspoonfuls on the trays"
        is_named = kind_of(name.split()[-1].lower()) in ("piece", "whole") or (
            # "Gingerbread people. Gives 2 dozen.": below everything, and how many it makes behind it.
            n + 1 == len(pieces) and bool(statements(piece.text)) and piece.role in ("step", "portions")
        )
        # "Apple honey muffins (12)", below a list: so many of them are made.
        is_counted_last = (
            _COUNT_BEHIND.search(piece.text) and sum(p.role == "food" for p in pieces[:n]) > MOST_HEAD_PIECES
        )
        if _named_then_told(piece, name) and n > len(pieces) // 3:
            first, rest = SENTENCE.split(piece.text, maxsplit=1)
            told = [replace(piece, text=first, role="title"), replace(piece, text=rest)]
            return [*pieces[:n], *told, *pieces[n + 1 :]]
        is_over_none = piece.role == "heading" and (is_counted_last or not is_followed_by_food(pieces, n))
        if is_over_none or (piece.role != "heading" and is_named):
            is_counted = piece.role in ("food", "junk") and of_title(piece.text)[0] == name
            if is_over_none or is_counted or name == re.sub(r"[\"“”]", "", piece.text).strip(" *#_=:."):
                return [*pieces[:n], replace(piece, role="title"), *pieces[n + 1 :]]
            _, *more = SENTENCE.split(piece.text, maxsplit=1)
            if piece.role == "step" and more:
                piece = replace(piece, text=more[0], role="portions" if statements(more[0]) else "step")
            return [Piece(name, "title", piece.component, piece.number), *pieces[:n], piece, *pieces[n + 1 :]]
    return None


def _named_in_one(piece: Piece) -> list[Piece]:
    """Return the name, how many and how of a recipe that is told in one go: "Eton mess. Serves 6. Whip the cream"; none where a text begins otherwise."""
    first, *rest = SENTENCE.split(piece.text, maxsplit=1)
    words = first.strip(" .").split()
    is_name = 0 < len(words) <= MOST_NAMED_WORDS and re.fullmatch(r"[A-Z][^\d:;,]*", first) is not None
    if not rest or not is_name or words[0].lower() in word_list("verb") | _LINKS or not statements(rest[0][:24]):
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


def _named_and_counted(piece: Piece) -> list[Piece]:
    """Return the title and the rest of a piece that begins with a name and how many it makes: "Vanilla crescents, about 40 pieces. Knead"."""
    first, *more = SENTENCE.split(piece.text, maxsplit=1)
    first, is_to_make = _TO_MAKE.subn("", first.rstrip(" ."))
    name, said = of_title(first)
    is_named = is_to_make or (said is not None and said.count)
    if not is_named or not _NAME.fullmatch(name) or name.split()[0].lower() in word_list("verb") | _LINKS:
        return []
    title = replace(piece, text=first, role="title")
    return [title, *(replace(piece, text=text) for text in more)]


# "3. Result: Lemon drizzle cake, 12 slices"
_NAMED_LAST = re.compile(r"(?:\d\s*[.)]\s+)?(?:title|recipe|name|dish|result)\s*:\s*(?=[A-Z])", re.I)


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


def _name_in(piece: Piece) -> str:
    """Return what of a piece may be the dessert's name."""
    named, said = of_title(piece.text)
    # "LEMON SWISS ROLL (8 slices)", "Brownies - tray of 24"
    is_counted = said is not None and said.count is not None and piece.role in ("food", "junk")
    told = named if piece.role == "portions" or is_counted else SENTENCE.split(piece.text)[0]
    if piece.role == "heading":
        told = _COUNT_BEHIND.sub("", named if said is not None and said.count is not None else told)
    return _TO_MAKE.sub("", re.sub(r"[\"“”]", "", told).strip(" *#_=:.–—-"))


# "I promised the quick apricot galette."
_TELLS_OF = re.compile(
    r"\b(?:[Tt]he|[Mm]y|[Oo]ur|[Tt]hat|[Tt]his)\s+((?:[a-zà-ÿ'’-]+\s+){1,3}[a-zà-ÿ'’-]+)(?=\s*[.!?:])"
)
# A dessert is named within so much of what is told [characters].
TOLD_WITHIN = 200
# "You asked for the apple cake": a letter names what it tells.
_SPOKEN_OF = re.compile(
    r"\b(?:[Tt]he|[Mm]y|[Oo]ur|[Tt]hat|[Tt]his)\s+((?:[a-z-]+(?:['’]s)?\s+){1,3}(?:cake|tart|pie|loaf|bread|pudding|crumble|cobbler|brownies|biscuits|cookies|muffins|cheesecake|traybake|trifle|mousse|scones|flapjacks?))\b(?=[^.]{0,60}[.!?:])"
)
# "you asked for the flapjack recipe"
_ASKED_ABOUT = re.compile(
    r"\b(?:asked|wanted) (?:me )?(?:about|for)\s+(?:the|my|our|that)\s+((?:[a-z-]+\s+){0,3}[a-z-]{3,})(?=\s*[.,!?:;]|\s*$)",
    re.I,
)
# "For the nougat glacé I whip 4 egg whites"
_MADE_BY_ME = re.compile(
    r"^\W*[Ff]or (?:the|my|our|your|a|an)\s+((?:[^\W\d_]+\s+){0,3}?[^\W\d_]+),?\s+(?:(?:I|we|you)\s+(?:[a-z]+\s+)?(?:take|whip|use|make|mix|need|want|start|boil|bake|cook|cream|melt|beat|whisk)|use|take)\b"
)
_ASKED_FOR = re.compile(
    r"\b(?:asked (?:me )?for|wanted|here(?:'s| is)|this is|sending you)\s+(?:the|my|our|that)\s+((?:[a-z-]+\s+){0,3}[a-z-]+)\s+recipe\b",
    re.I,
)
# "so for the brownies I just do ...", "it's called dump cake"
_CALLED = re.compile(
    r"(?:\bfor\s+(?:the|my)|\bcalled(?:\s+an?)?)\s+((?:[a-z-]+\s+){0,3}(?:cake|tart|pie|loaf|pudding|crumble|cobbler|brownies|biscuits|cookies|muffins|cheesecake|traybake|trifle|mousse|scones|flapjacks?))\b(?=\s+(?:i|we|you)\b|,)",
    re.I,
)
# "does anyone have the sticky toffee pud recipe from last year?"
_IN_A_QUESTION = re.compile(
    r"^(?:q:\s*)?(?:please\s+|hi\W+)?(?:does|do|has|have|can|could|would|who|is|any)\b[^?]*?\b(?:the|an?|your|my|her|his|that)\s+((?:[^\W\d_][\w'’-]*\s+){1,5}?)recipe\b[^?]*\?.*$",
    re.I,
)
# "How do you make your fruit scones so light?"
_HOW_ONE_MAKES = re.compile(
    r"^(?:q\s*[:.]\s*)?how (?:do|did|can|would|should) (?:you|i|we|one) (?:make|bake|do|get)\s+(?:your|my|the|a|an|good|such)\s+((?:[^\W\d_][\w'’-]*\s+){0,3}?[^\W\d_][\w'’-]*)(?:\s+(?:so|that|this)\s+[^?]{3,40}|\s+without\s+[^?]{3,40})?\?.*$",
    re.I,
)
# "Does anyone have a reliable sticky pear pudding?"
_ASKED_FOR_ONE = re.compile(
    r"^(?:q:\s*)?(?:please\s+|hi\W+)?(?:does|do|has|have|can|could|would|is|any)\b[^?]*?\b(?:have|got|know|share|seen)\s+(?:an?|the|some)\s+(?:(?:really|very)\s+)?(?:(?:reliable|good|nice|decent|simple|easy|quick|great|foolproof|favourite|favorite|proper)\s+)*((?:[^\W\d_][\w'’-]*\s+){1,4}[^\W\d_][\w'’-]*)\?.*$",
    re.I,
)
# "Title: Carrot halwa"
_FIELD = re.compile(
    r"^title\s+(?=[A-Z])|^(?:(?:to|from|cc|date):\s*\S+\s+)+subject:\s*(?:re:\s*|fwd?:\s*)*|^\[recipe\]:?\s*|^(?:[^\W\d_]{3,12}\s*/\s*(?=recipe\s*:))?(?:\d\s*[.)]\s+)?(?:(?:title|recipe(?: name| for)?|name|dish|result|what|to make|making|re|fwd?|subject|ricetta|rezept|recette|receta)\s*:\s*)+(?=\S)|^\d\s*[.)]\s+(?=[A-Z])|^(?:№|no\.|nr\.|\#)\s*\d{1,4}\s*[.:)–-]*\s+(?=[A-Z])",
    re.I,
)
# What a letter is about names its recipe where nothing else does.
_OF_A_LETTER = re.compile(r"(?:re|fwd?|subject)\s*:", re.I)
_NAME = re.compile(r"[A-Z][^\W\d_]*(?:,?[\s'’&-]+[^\W\d_]+){1,5}")
# "OATMEAL COOKIES (24)"
_COUNT_BEHIND = re.compile(r"\s*\(\d{1,3}\)\s*$")
_LINKS = frozenset({"for", "to", "the", "you", "then", "and", "a", "an", "some", "your"})


MOST_TITLE_WORDS = 9


def _may_be_title(piece: Piece) -> bool:
    """Return whether a few words that a text begins with may name it: "My raw cheesecake!! vegan gf"."""
    is_short = piece.role == "chatter" and len(piece.text.split()) <= MOST_TITLE_WORDS
    return is_short and not _NO_TITLE.search(piece.text) and not _of_web(piece.text)


_NO_TITLE = re.compile(r"[.:]$|^\W*(?:hi|hello|dear|hey)\b|\bby\b|@|\d{4}", re.I)


def _of_web(text: str) -> bool:
    words = set(re.findall(r"[a-z]+", text.lower()))
    return bool(words & (word_list("page_lead") | {"print", "share", "posted", "comments", "jump", "recipe", "www"}))


# "Dundee cake. This fills a deep": a sentence behind the name.
_THEN_TALK = re.compile(
    r"^([A-Z][^.!?:\d]{3,50})\.\s+(?:this|it|these|they|a|an|the|my|our|we|i|from|makes)\b.*$", re.I
)
# "Do you have a recipe for a low-sugar banana cake?"
_ASKED_WITHOUT = re.compile(
    r"^(?:do|does|has|have|can|could|would|is|any)\b[^?]*?\brecipe for\s+(?:an?\s+|the\s+|some\s+)?([^?]{4,60})\?.*$",
    re.I,
)
# "so here's how i do my banana pancakes"
_LEADS_IN = re.compile(
    r"^how\s+(?:i|we)\s+(?:make|do|bake)\s+(?:(?:my|our|the)\s+)?(?=[^\W\d_]{3})|^(?:(?:so|ok|okay|well|right)\W+)?(?:so\s+)?(?:here(?:['’]s| is)|this is|(?<=ok )(?=the\b)|(?<=okay )(?=the\b)|(?<=so )(?=the\b)|(?<=right )(?=the\b))\s*(?:how\s+(?:i|we)\s+(?:do|make|bake)\s+|the recipe for\s+|(?=(?:my|our|the)\b))(?:(?:my|our|the)\s+(?:famous\s+)?)?(?=[^\W\d_]{3})",
    re.I,
)
# "Banana muffins *** now with less sugar ***"
_SHOUTED = re.compile(r"\s\*+\s[^*]+\*+\s*$")
