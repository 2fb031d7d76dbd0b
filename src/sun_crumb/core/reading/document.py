"""A pasted text taken into its pieces: title, headings, foods, steps, notes, each with its role and its component."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.beside import method_beside
from sun_crumb.core.reading.columns import in_columns
from sun_crumb.core.reading.counts import MOST, kind_of
from sun_crumb.core.reading.marks import FOR_THE, FOR_THE_PART, Known, heading_kind, is_asking, without_number
from sun_crumb.core.reading.mentions import mentions
from sun_crumb.core.reading.physical import Physical, Statement, physical_lines, statements_of
from sun_crumb.core.reading.portions import SURE, Stated, bare_count, of_step, of_title, said_in, statements
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.roles import roles_of
from sun_crumb.core.reading.run_on import WHAT_GOES_IN
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reading.wrapped import broken_list, wrapped

# What a heading says its component is enough for: "Frosting (for 8 cupcakes)", "Glaze, makes enough for 6".
_HEAD_YIELD = re.compile(
    r"[\s,–-]*[(\[]?\s*\b(?:(?:makes?|yields?|covers|serves|fills|tops)(?:\s+enough)?(?:\s+(?:for|to \w+))?|enough\s+(?:for|to\s+\w+)|for)"
    r"\s+(?:about\s+|up to\s+)?(?P<count>\d{1,3})\b(?!\s*(?:min|h\b|hour|g\b|ml|cm))[^)\]:]{0,30}[)\]]?(?=\s*:?\s*$)",
    re.I,
)
_SENTENCE = re.compile(
    r"(?<=[.!?])(?<!approx\.)(?<!ca\.)(?<!abt\.)\s+(?=[^\W\d_]|[(“\"]|\d{1,3}(?:\s?[-–]\s?\d{1,3})?\s+[^\W\d_]{3,})"
)


@dataclass(frozen=True, slots=True)
class Piece:
    """One statement of the text: what it says, its role, its component, and the number of the line that it begins on."""

    text: str
    role: Role
    component: str
    number: int = 0


@dataclass(frozen=True, slots=True)
class Document:
    """A text in pieces, and the role of each of its lines; an empty line has none."""

    title: str
    pieces: tuple[Piece, ...]
    lines: tuple[tuple[Physical, Role | None], ...]
    stated: tuple[Stated, ...]


def document(text: str, known: Callable[[str], Known], forced: Mapping[int, Role] | None = None) -> Document:
    """Return *text* in pieces.

    Parameters
    ----------
    text
        A pasted recipe.
    known
        What the pantry says of a statement.
    forced
        Roles that the baker has given, by the number of the line, from 0.
    """
    lines = physical_lines(text)
    lines_of_list = broken_list(lines)
    found = in_columns(method_beside([statement for line in lines_of_list for statement in statements_of(line)]))
    told = {said: known(said) for said in {s.text for s in found}}
    forced = {
        **_of_a_page(found),
        **_table_heads(lines),
        **wrapped(found),
        **_broken_names(found, told, known),
        **(forced or {}),
    }
    roles = roles_of(found, [told[s.text] for s in found], forced)
    for n in _greetings(found):
        roles[n] = "chatter"
    if sum(role == "food" and told[s.text].has_food for s, role in zip(found, roles, strict=True)) < LEAST_LISTED:
        roles = [_of_sentences(statement, role, known) for statement, role in zip(found, roles, strict=True)]
    pieces = _with_title(_joined(found, roles))
    by_line: dict[int, Role] = {}
    for statement, role in zip(found, roles, strict=True):
        by_line.setdefault(statement.line.number, role)
    kept = {line.number for line in lines_of_list}
    by_line |= {line.number: "continuation" for line in lines if line.number not in kept}
    by_line |= {piece.number: "title" for piece in pieces if piece.role == "title"}
    title, stated = _title(pieces)
    pieces = _with_components(pieces)
    return Document(
        title,
        tuple(pieces),
        tuple((line, by_line.get(line.number, "junk" if line.raw.strip() else None)) for line in lines),
        (*stated, *_stated(pieces)),
    )


# One food alone is no list.
LEAST_LISTED = 2
# A letter's paragraph that names so many foods with their amounts is the recipe, where no list stands.
LEAST_TOLD_FOODS = 3


def _of_sentences(statement: Statement, role: Role, known: Callable[[str], Known]) -> Role:
    """Return the role of a statement in a text without a list: what tells foods with amounts is a step."""
    if role not in ("chatter", "note", "junk", "portions"):
        return role
    named = [said for said in mentions(statement.raw, is_list=True) if known(said).has_food]
    return "step" if len(named) >= LEAST_TOLD_FOODS else role


def _of_a_page(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that a page begins with, where one of the first leads to its other pages: the site's name and that."""
    for n, statement in enumerate(found[:MOST_HEAD_LINES]):
        words = set(re.findall(r"[a-z]+", statement.text.lower()))
        if len(words & word_list("page_lead")) >= LEAST_LEADS and not re.search(r"\d", statement.text):
            return {s.line.number: "junk" for s in found[: n + 1]}
    return {}


def _table_heads(lines: Sequence[Physical]) -> dict[int, Role]:
    """Return the lines that name the columns of a table: above a row of rules, several cells and no number in them."""
    return {
        above.number: "junk"
        for above, rule in pairwise(lines)
        if len(rule.raw) <= LONGEST_RULE
        and _RULED.fullmatch(rule.raw.strip())
        and len([cell for cell in above.raw.split("|") if cell.strip()]) > 1
        and not re.search(r"\d", above.raw)
    }


# "|:---|---:|"
_RULED = re.compile(r"\|?(?:\s*:?-{2,}:?\s*\|)+\s*(?::?-{2,}:?)?")
LONGEST_RULE = 200


def _greetings(found: Sequence[Statement]) -> list[int]:
    """Return which statements begin or end a letter, and name nothing: "Dear all,"."""
    ends = {*range(len(found))[:MOST_HEAD_LINES], *range(len(found))[-1:]}
    return [n for n in sorted(ends) if _GREETS.fullmatch(found[n].raw.strip())]


_GREETS = re.compile(
    r"(?:dear|hi|hello|hey|hallo|love|cheers|best|thanks|xx+|with love|best wishes|kind regards|yours)\b[^.!?:;\d]{0,24}[,!.x]*(?:\s+x+)?",
    re.I,
)
MOST_HEAD_LINES, LEAST_LEADS = 3, 3
MOST_HEAD_PIECES = 4


def _broken_names(
    found: Sequence[Statement], told: Mapping[str, Known], known: Callable[[str], Known]
) -> dict[int, Role]:
    """Return the lines that go on with the name of the food above: "600 ml double" and "cream"."""
    lines: dict[int, Role] = {}
    several = Counter(s.line.number for s in found)
    for before, statement in pairwise(found):
        is_next = statement.line.number == before.line.number + 1
        if (
            not is_next
            or several[statement.line.number] > 1
            or not re.fullmatch(
                r"(?!(?:for|to|or|and|plus)\b)[a-z][a-z' -]{2,24}(?:,\s*[a-z][a-z ]{2,24})?", statement.raw.strip()
            )
        ):
            continue
        first, second = told[before.text], told[statement.text]
        if not first.has_amount or second.has_amount or first.is_behind or re.search(r"[,()]", before.text):
            continue
        both = known(f"{before.text} {statement.text}")
        if both.food and first.food in ("", both.food):
            lines[statement.line.number] = "continuation"
    return lines


def _joined(found: list[Statement], roles: list[Role]) -> list[Piece]:
    """Return the pieces, broken lines joined to what they go on from."""
    pieces: list[Piece] = []
    number = 0
    for statement, role in zip(found, roles, strict=True):
        text = statement.text
        if role == "step":
            numbered = _NUMBERED.match(statement.raw)
            is_next = numbered is not None and number and int(numbered[1]) == number + 1
            number = int(numbered[1]) if numbered else number
            # "3 Ripple the fruit through", behind a second step.
            bare = statement.raw[numbered.end() :] if numbered and is_next else without_number(statement.raw.strip())
            text = _IN_TURN.sub(". ", bare or text)
        elif role in ("title", "heading", "chatter", "portions", "note"):
            text = statement.raw.strip() if role != "heading" else text
        if role == "continuation" and pieces:
            pieces[-1] = replace(pieces[-1], text=_rejoined(pieces[-1].text, statement.raw.strip()))
        elif _completes(pieces, role, text) or (
            role == "portions" and pieces and pieces[-1].role == "portions" and is_asking(pieces[-1].text)
        ):
            pieces[-1] = replace(pieces[-1], text=f"{pieces[-1].text} {text}")
        else:
            pieces.append(Piece(text, "food" if role == "continuation" else role, "", statement.line.number))
    return pieces


# "Split • fill • eat": one deed after the other.
_IN_TURN = re.compile(r"\s*[.,;]?\s+•\s+")
_NUMBERED = re.compile(r"^\s*(\d{1,2})\s*[.):]?\s+(?=[A-Z])")


def _rejoined(before: str, after: str) -> str:
    """Return two lines as one, a word that was broken at its end whole again: "mascar-" and "pone"."""
    broken = _BROKEN_WORD.search(before)
    if broken and after[:1].islower():
        return before[: None if broken[1].lower() in _KEEPS_HYPHEN else -1] + after
    return f"{before} {after}"


_BROKEN_WORD = re.compile(r"\b([^\W\d_]{2,})-$")
_KEEPS_HYPHEN = frozenset(
    {
        "self",
        "all",
        "semi",
        "low",
        "full",
        "non",
        "half",
        "free",
        "medium",
        "extra",
        "gluten",
        "sugar",
        "fat",
        "bitter",
        "short",
        "long",
        "two",
        "three",
    }
)


def _completes(pieces: list[Piece], role: Role, text: str) -> bool:
    """Return whether a food's name stands on the line after its amount."""
    if role != "food" or not pieces or pieces[-1].role != "food" or not _AMOUNT_FIRST.match(pieces[-1].text):
        return False
    return not re.search(
        r"[^\W\d_]{3,}",
        re.sub(r"\b(?:cups?|tbsps?|tsps?|grams?|tablespoons?|teaspoons?|large|small|medium)\b", "", pieces[-1].text),
    ) and not re.match(r"\d", text)


_AMOUNT_FIRST = re.compile(r"\W*(?:\d|[½⅓⅔¼¾⅛]|(?:an?|one|two|three|four|half)\b)", re.I)


# "#banana #bread"; "MOUSSE ........ serves 6", "MOUSSE . . . . serves 6"
_HASH, _LEADERS = re.compile(r"(?<!\S)#(?=\w)"), re.compile(r"\s*(?:[.…]{3,}|(?:\s\.){3,80})\s*$")


def _title(pieces: list[Piece]) -> tuple[str, list[Stated]]:
    first = next((p for p in pieces if p.role == "title"), None)
    if first is None:
        return "", []
    # "Cheesecake • Chill 4 h • 12 slices": what stands behind the first mark is said about it.
    named, *more = re.split(
        r"\s+[•|·]\s+|\s{3,}|;\s+|\s*[-–—]+\s+(?=serving size\b)", _SHOUTED.sub("", first.text).strip(" *#_=|·•»«›‹~")
    )
    title, said = of_title(_HASH.sub("", _FIELD.sub("", named)))
    return re.sub(r"\s{2,}", " ", _LEADERS.sub("", title.strip(" *#_=|:–—-")).removesuffix(" .").rstrip(".")), [
        *([said] if said else []),
        *(told for part in more for told in _told(part)),
    ]


def _with_title(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the title that stands below the list, where none stands above: a heading over no food, or a dessert's name."""
    is_named = any(p.role == "title" for p in pieces)
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
        return _with_broken_title(pieces)
    if pieces and _may_be_title(pieces[0]):
        return [replace(pieces[0], role="title"), *pieces[1:]]
    if found := _title_below(pieces):
        return found
    spoken = (m for p in pieces for m in [_SPOKEN_OF.search(p.text) or _CALLED.search(p.text)] if m)
    if told := next(spoken, None):
        return [Piece(told[1][:1].upper() + told[1][1:], "title", "", 0), *pieces]
    return pieces


def _title_below(pieces: list[Piece]) -> list[Piece] | None:
    """Return pieces with a title that stands below the list: a heading over no food, or a dessert's name; None where there is none."""
    if told := _told_below(pieces):
        return told
    for n, piece in enumerate(pieces):
        if not n or piece.role not in ("heading", "food", "step", "note", "chatter", "junk", "portions"):
            continue
        name = _name_in(piece)
        if not _NAME.fullmatch(name) or heading_kind(name) or name.split()[0].lower() in word_list("verb") | _LINKS:
            continue
        is_named = kind_of(name.split()[-1].lower()) in ("piece", "whole") or (
            # "Gingerbread people. Gives 2 dozen.": below everything, and how many it makes behind it.
            n + 1 == len(pieces) and bool(statements(piece.text)) and piece.role in ("step", "portions")
        )
        is_over_none = piece.role == "heading" and not _is_followed_by_food(pieces, n)
        if is_over_none or (piece.role != "heading" and is_named):
            if is_over_none or name == re.sub(r"[\"“”]", "", piece.text).strip(" *#_=:."):
                return [*pieces[:n], replace(piece, role="title"), *pieces[n + 1 :]]
            _, *more = _SENTENCE.split(piece.text, maxsplit=1)
            if piece.role == "step" and more:
                piece = replace(piece, text=more[0], role="portions" if statements(more[0]) else "step")
            return [Piece(name, "title", piece.component, piece.number), *pieces[:n], piece, *pieces[n + 1 :]]
    return None


# "To make a good rice cake. Take half a pound ..."
_TO_MAKE = re.compile(r"^to make (?:an?|some|the)\s+", re.I)


def _told_below(pieces: list[Piece]) -> list[Piece] | None:
    """Return pieces with the title that a sentence tells with how many it makes, or one of the last lines as such; None where none does."""
    for n, piece in enumerate(pieces):
        if piece.role in ("step", "note", "chatter") and (split := _named_and_counted(piece)):
            return [*pieces[:n], *split, *pieces[n + 1 :]]
    for n in range(max(0, len(pieces) - 2), len(pieces)):
        if _NAMED_LAST.match(pieces[n].text):
            return [*pieces[:n], replace(pieces[n], role="title"), *pieces[n + 1 :]]
    return None


def _named_and_counted(piece: Piece) -> list[Piece]:
    """Return the title and the rest of a piece that begins with a name and how many it makes: "Vanilla crescents, about 40 pieces. Knead"."""
    first, *more = _SENTENCE.split(piece.text, maxsplit=1)
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
    if (
        piece.role in ("heading", "chatter")
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
    told = of_title(piece.text)[0] if piece.role == "portions" else _SENTENCE.split(piece.text)[0]
    if piece.role == "heading":
        told = _COUNT_BEHIND.sub("", told)
    return _TO_MAKE.sub("", re.sub(r"[\"“”]", "", told).strip(" *#_=:.–—-"))


# "You asked for the apple cake": a letter names what it tells.
_SPOKEN_OF = re.compile(
    r"\b(?:the|my|our|that|this)\s+((?:[a-z-]+\s+){1,3}(?:cake|tart|pie|loaf|bread|pudding|crumble|cobbler|brownies|biscuits|cookies|muffins|cheesecake|traybake|trifle|mousse|scones|flapjacks?))\b(?=[^.]{0,60}[.!?:])"
)
# "so for the brownies I just do ...", "it's called dump cake"
_CALLED = re.compile(
    r"(?:\bfor\s+(?:the|my)|\bcalled(?:\s+an?)?)\s+((?:[a-z-]+\s+){0,3}(?:cake|tart|pie|loaf|pudding|crumble|cobbler|brownies|biscuits|cookies|muffins|cheesecake|traybake|trifle|mousse|scones|flapjacks?))\b(?=\s+(?:i|we|you)\b|,)",
    re.I,
)
# "Title: Carrot halwa"
_FIELD = re.compile(
    r"^(?:\d\s*[.)]\s+)?(?:(?:title|recipe(?: name| for)?|name|dish|result|to make|making|re|fwd?|subject|ricetta|rezept|recette|receta)\s*:\s*)+(?=\S)|^\d\s*[.)]\s+(?=[A-Z])|^(?:№|no\.|nr\.|\#)\s*\d{1,4}\s*[.:)–-]*\s+(?=[A-Z])",
    re.I,
)
# What a letter is about names its recipe where nothing else does.
_OF_A_LETTER = re.compile(r"(?:re|fwd?|subject)\s*:", re.I)
_NAME = re.compile(r"[A-Z][^\W\d_]*(?:[\s'’&-]+[^\W\d_]+){1,5}")
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


# "Banana muffins *** now with less sugar ***"
_SHOUTED = re.compile(r"\s\*+\s[^*]+\*+\s*$")


def _with_components(pieces: list[Piece]) -> list[Piece]:
    """Return pieces with the component that the heading above each names; stages of one mixture name none."""
    found: list[Piece] = []
    component, outer = "", ""
    has_deeds = any(p.role == "heading" and _is_deed(p.text, least=2) for p in pieces)
    for n, piece in enumerate(pieces):
        if piece.role == "heading":
            kind = "stage" if has_deeds and _is_deed(piece.text, least=1) else heading_kind(piece.text)
            if kind in ("ingredients", "method", "notes"):
                if kind == "ingredients":
                    component = outer = ""
            elif kind == "stage":
                component = outer
            elif _is_followed_by_food(pieces, n):
                named = component_of(piece.text)
                if named is not None:
                    component = outer = named
        found.append(replace(piece, component=component))
    return found


def _is_deed(text: str, *, least: int) -> bool:
    """Return whether a heading tells only what is done with the foods under it: "Sift & add:"; beside one such also "Cream:"."""
    words = re.findall(r"[^\W\d_]+", text.lower())
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
    }


def _is_followed_by_food(pieces: list[Piece], n: int) -> bool:
    """Return whether a food stands under a heading before the next heading or step."""
    for piece in pieces[n + 1 :]:
        if piece.role == "food":
            return True
        if piece.role in ("heading", "step"):
            return False
    return False


def component_of(text: str) -> str | None:
    """Return the component that a heading names, in small letters; empty for the base, None where it names none."""
    bare = _HEAD_YIELD.sub("", text).strip(" *#_=:–—-.!")
    bare = re.sub(r"\([^)]*\)", "", bare).strip(" *#_=:–—-")
    found = FOR_THE.match(bare) or FOR_THE_PART.search(bare) or WHAT_GOES_IN.fullmatch(bare)
    words = (found[1] if found else bare).strip().lower()
    words = re.sub(r"^(?:step\s+)?\d+\s*[.)]\s*", "", words)
    if words.endswith((" ingredients", " ingredient")):
        words = words.rsplit(" ", 1)[0]
        if heading_kind(words) == "stage":
            return ""
    # "Teig / Dough": in two tongues.
    tongues = [part.strip() for part in words.split("/")]
    words = next((part for part in tongues if part.split()[-1:] and part.split()[-1] in word_list("component")), words)
    return words if re.search(r"[^\W\d_]", words) else None


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
        found = _HEAD_YIELD.search(piece.text)
        return int(found["count"]) if found and 1 <= int(found["count"]) <= MOST else None
    if piece.role != "portions":
        return None
    stated = next((s for s in statements(piece.text) if s.count), None)
    return stated.count.low if stated and stated.count else None


def _told(text: str) -> list[Stated]:
    # "(for 4)"
    text = re.sub(r"^\((for\s[^()]+)\)$", r"\1", text.strip(), flags=re.I)
    # "For a 24 cm springform, 12 pieces": a count may stand behind a comma.
    parts = re.split(r"[,;|•·]\s+|\s[–—/-]{1,2}\s", text) if len(text) < SHORT_LINE else [text]
    # "1 bowl, no mixer": what it is made in.
    bare = [
        said
        for part in dict.fromkeys([text, *parts])
        if (said := bare_count(part)) and not (said.count and said.count.low == 1 and said.count.kind == "piece")
    ]
    if not bare and re.match(r"for\b", text, re.I) and (said := said_in(text)):
        bare = [said]
    return [*statements(text), *bare]


def _is_of_eaters(stated: Stated) -> bool:
    return bool(stated.count and re.match(r"serves|feeds|enough", stated.text, re.I))


# A line that tells portions, tin and time in turn is no longer than this [characters].
SHORT_LINE = 90


def _stated(pieces: Iterable[Piece]) -> list[Stated]:
    """Return all that the text says of portions outside its title, each with how far its place is trusted."""
    pieces = list(pieces)
    first = next((p.component for p in pieces if p.role == "food"), "")
    sentences = sum(len(_SENTENCE.split(p.text)) for p in pieces if p.role == "step")
    found: list[Stated] = []
    at = 0
    for before, piece in zip((None, *pieces), pieces, strict=False):
        # Only right under its heading is a component's own yield told.
        is_whole = piece.component in ("", first) or before is None or before.role != "heading"
        match piece.role:
            case "portions":
                told = _told(piece.text)
                found += told if is_whole else [replace(s, trust=0.5 * s.trust) for s in told]
            case "chatter" | "time" | "junk" | "note":
                for sentence in _SENTENCE.split(piece.text):
                    found += [replace(s, trust=0.85 * s.trust) for s in _told(sentence) if is_whole]
            case "step":
                for sentence in _SENTENCE.split(piece.text):
                    at += 1
                    if said := of_step(sentence, is_late=at >= 0.6 * sentences):
                        found.append(said)
            case "heading" if heading_kind(piece.text) == "ingredients" and is_whole:
                found += _of_the_list(piece.text)
            case "heading" if first and component_of(piece.text) == first:
                # "For the filling (serves 6)", over the first of its parts
                found += [replace(s, trust=SURE) for s in statements(piece.text) if _is_of_eaters(s)]
    return found


def _of_the_list(heading: str) -> list[Stated]:
    """Return what the heading over the list says of portions: "Ingredients for 12 slices", "Ingredients (makes 12)"."""
    inside = re.search(r"\(([^)]*)\)", heading)
    said = said_in(inside[1]) if inside else None
    return [*_told(re.sub(r"\([^)]*\)", "", heading)), *([said] if said else [])]
