"""A pasted text taken into its pieces: title, headings, foods, steps, notes, each with its role and its component."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace

from sun_crumb.core.reading.certain_roles import certain_roles
from sun_crumb.core.reading.components import with_components
from sun_crumb.core.reading.deeds import without_number
from sun_crumb.core.reading.gutter import columns_apart
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.marks import is_asking
from sun_crumb.core.reading.mentions import mentions
from sun_crumb.core.reading.narrow import rejoined, whole_again
from sun_crumb.core.reading.page_lines import greetings
from sun_crumb.core.reading.physical import Physical, Statement, once_for_each_part, physical_lines, statements_of
from sun_crumb.core.reading.pieces import Piece
from sun_crumb.core.reading.portion_cues import Stated
from sun_crumb.core.reading.portion_net import caught
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.roles import roles_of
from sun_crumb.core.reading.stated import stated_in
from sun_crumb.core.reading.title_words import title_of
from sun_crumb.core.reading.titles import with_title
from sun_crumb.core.reading.wrapped import broken_list


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
    lines_of_list = whole_again(broken_list(columns_apart(lines)))
    found = once_for_each_part(statement for line in lines_of_list for statement in statements_of(line))
    told = {said: known(said) for said in {s.text for s in found}}
    forced = {**certain_roles(lines, found, told, known), **(forced or {})}
    roles = roles_of(found, [told[s.text] for s in found], forced)
    for n in greetings(found):
        roles[n] = "chatter"
    for n in range(1, len(found) - 1):
        # Among foods what bears an amount is asked about, whatever it is: nothing is lost unsaid.
        is_among = roles[n - 1] == roles[n + 1] == "food" and roles[n] in ("junk", "chatter")
        said = told[found[n].text]
        is_beside = "food" in (roles[n - 1], roles[n + 1]) and roles[n] == "junk" and said.has_food
        # "Milk - same tin, 1.5 times": a food by name, whatever is said of how much.
        name = _NAME_FIRST.match(found[n].text) if is_among and not said.has_unit else None
        is_named = name is not None and known(name[1]).food != ""
        if ((is_among or is_beside) and said.has_unit) or is_named:
            roles[n] = "food" if found[n].line.number not in forced else roles[n]
    if sum(role == "food" and told[s.text].has_food for s, role in zip(found, roles, strict=True)) < LEAST_LISTED:
        roles = [_of_sentences(statement, role, known) for statement, role in zip(found, roles, strict=True)]
    pieces = with_title(_joined(found, roles))
    by_line: dict[int, Role] = {}
    for statement, role in zip(found, roles, strict=True):
        is_food_after_its_part = role == "food" and statement.line.head is not None
        if is_food_after_its_part:
            by_line[statement.line.number] = role  # "Pastry | flour | 200 g"
        by_line.setdefault(statement.line.number, role)
    kept = {line.number for line in lines_of_list}
    by_line |= {line.number: "continuation" for line in lines if line.number not in kept}
    by_line |= {piece.number: piece.role for piece in pieces if "title" in (piece.role, by_line.get(piece.number))}
    title, stated = title_of(pieces)
    pieces = with_components(pieces)
    told_of = [*stated, *stated_in(pieces)]
    if not any(s.count and s.trust > 0 for s in told_of) and (guess := caught(pieces, title)):
        told_of.append(guess)
    return Document(
        title,
        tuple(pieces),
        tuple((line, by_line.get(line.number, "junk" if line.raw.strip() else None)) for line in lines),
        tuple(told_of),
    )


_NAME_FIRST = re.compile(r"([^\W\d_][^\W\d_ ]{2,20})\s*(?:\s[-–—]|:)\s+(?=\w)")
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


def _joined(found: list[Statement], roles: list[Role]) -> list[Piece]:
    """Return the pieces, broken lines joined to what they go on from."""
    pieces: list[Piece] = []
    number, before = 0, ""
    for statement, role in zip(found, roles, strict=True):
        text = statement.text
        if role == "continuation" and pieces and before.endswith(",") and not pieces[-1].text.endswith(","):
            pieces[-1] = replace(pieces[-1], text=f"{pieces[-1].text},")  # "300 ml espresso," and "cooled"
        before = statement.raw.rstrip()
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
            pieces[-1] = replace(pieces[-1], text=rejoined(pieces[-1].text, statement.raw.strip()))
        elif _completes(pieces, role, text) or (
            role == "portions" and pieces and pieces[-1].role == "portions" and is_asking(pieces[-1].text)
        ):
            pieces[-1] = replace(pieces[-1], text=f"{pieces[-1].text} {text}")
        else:
            pieces.append(Piece(text, "food" if role == "continuation" else role, "", statement.line.number))
    return pieces


# "Split • fill • eat": one deed after the other.
_IN_TURN = re.compile(r"\s*[.,;]?\s+[•>]\s+")
_NUMBERED = re.compile(r"^\s*(\d{1,2})\s*[.):]?\s+(?=[A-Z])")


def _completes(pieces: list[Piece], role: Role, text: str) -> bool:
    """Return whether a food's name stands on the line after its amount."""
    if role != "food" or not pieces or pieces[-1].role != "food" or not _AMOUNT_FIRST.match(pieces[-1].text):
        return False
    return not re.search(
        r"[^\W\d_]{3,}|\bb\.?\s?p\b|\b[Ee]i\b",
        re.sub(r"\b(?:cups?|tbsps?|tsps?|grams?|tablespoons?|teaspoons?|large|small|medium)\b", "", pieces[-1].text),
    ) and not re.match(r"[\d½¼¾⅓⅔⅛]", text)


_AMOUNT_FIRST = re.compile(r"\W*(?:\d|[½⅓⅔¼¾⅛]|(?:an?|one|two|three|four|half)\b)", re.I)
