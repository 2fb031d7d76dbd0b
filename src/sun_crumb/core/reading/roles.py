"""What each statement of a text is: the likeliest roles over the whole of it, by marks of its own and of its neighbours'.

Every mark adds to the score of every role (line_marks.csv), and so does the order in which roles follow each other
(line_order.csv); the path with the highest sum over the whole text is taken.
"""

from __future__ import annotations

import itertools
import re
from collections.abc import Mapping, Sequence, Set
from functools import cache
from typing import Any, get_args

import numpy as np

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.bare_lines import SENT_AT
from sun_crumb.core.reading.counts import kind_of
from sun_crumb.core.reading.headings import Section
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.line import BULLETS
from sun_crumb.core.reading.marks import is_asking, marks_of
from sun_crumb.core.reading.nutrition import take_out_nutrition
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.portion_asides import bare_count, of_title
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.stated import SO_MANY_OF_IT
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reference import table

ROLES: tuple[Role, ...] = get_args(Role)
FORCED = 1000.0
Matrix = np.ndarray[Any, np.dtype[np.float64]]
_WITH_AMOUNT = frozenset(
    ["weighed", "counted", "weighed_behind", "weighed_unknown", "counted_unknown", "amount_only", "portions"]
)
# How a line ends that goes on below.
_HANGS = re.compile(
    r"(?:[,(–&+-]|\b(?:at|of|and|or|the|with|in|for|to|from|into|very|until|room|plus|a|an|extra|roughly|lightly|finely|coarsely|thinly|freshly))\s*$",
    re.I,
)


@cache
def _scores() -> tuple[dict[str, int], Matrix]:
    rows = table("line_marks")
    return {row["mark"]: n for n, row in enumerate(rows)}, np.array(
        [[float(row[role]) for role in ROLES] for row in rows]
    )


@cache
def _order() -> tuple[Matrix, Matrix]:
    start, between = np.zeros(len(ROLES)), np.zeros((len(ROLES), len(ROLES)))
    for row in table("line_order"):
        after = ROLES.index(row["after"])
        if row["before"] == "start":
            start[after] = float(row["score"])
        else:
            between[ROLES.index(row["before"]), after] = float(row["score"])
    return start, between


def roles_of(
    found: Sequence[Statement], known: Sequence[Known], forced: Mapping[int, Role] | None = None
) -> list[Role]:
    """Return the role of each statement: the best path over the whole text.

    Parameters
    ----------
    found, known
        The statements in order, and what the pantry says of each.
    forced
        Roles that the baker has given, by the number of the line.
    """
    if not found:
        return []
    own = _own_marks(found, known, {line for line, role in (forced or {}).items() if role == "junk"})
    first_food = _first_food(own)
    index, scores = _scores()
    emission = np.zeros((len(found), len(ROLES)))
    section: Section = ""
    for n, statement in enumerate(found):
        marks = _place_marks(n, first_food, section, found, own) | own[n]
        section = _section_after(section, marks, own[n + 1] if n + 1 < len(own) else set())
        emission[n] = scores[[index[mark] for mark in marks]].sum(axis=0)
        if role := statement.line.role or (forced or {}).get(statement.line.number):
            emission[n, ROLES.index(role)] += FORCED
    return _best_path(emission)


def _own_marks(found: Sequence[Statement], known: Sequence[Known], junk: Set[int]) -> list[set[str]]:
    """Return the marks that each statement has by itself, and which of them begins the recipe: none of the lines of *junk*."""
    # The same words have the same marks wherever they stand.
    seen: dict[str, frozenset[str]] = {}
    for statement, held in zip(found, known, strict=True):
        if statement.raw not in seen:
            seen[statement.raw] = marks_of(statement, held)
    own = [set(seen[statement.raw]) for statement in found]
    _count_by_title(found, own)
    for n in range(len(found) - 1):
        if is_asking(found[n].text) and bare_count(f"{found[n + 1].text} portions"):
            # "Servings" on a line, and the number on the next.
            own[n] = own[n + 1] = {"portions", "short"}
    begins = (
        n
        for n, marks in enumerate(own)
        if found[n].line.number not in junk
        and not (marks & _NO_BEGINNING or _is_of_the_writer(found[n].text, marks))
        and not ("portions" in marks and _ASKS_HOW_MANY.match(found[n].text))
    )
    begin = next(begins, 0)
    if _tells_more_than_portions(found[begin].text) or _SO_MUCH_OF_IT.search(found[begin].text):
        own[begin] -= {"portions", "portions_bare", "weighed_behind", "weighed_unknown", "counted_unknown"}
        own[begin] -= {"heading_word", "heading_form"}
    last = max((n for n, marks in enumerate(own) if "weighed" in marks), default=len(own))
    for marks in own[last + 1 :]:
        if "imperative" in marks:
            marks.discard("time")  # "Bake 18-20 min", below the list: done, and no time told ahead
    take_out_nutrition(found, own)
    if not (found[begin].line.raw.count("|") > 1 and known[begin].has_food and own[begin] & _FOODS_COUNTED):
        own[begin].add("first")  # no title in the rows of a table
    _name_parts(found, known, own)
    _tell_in_turn(found, known, own)
    return own


_FOODS_COUNTED = frozenset({"weighed", "counted"})
# A text begins with none of these, nor with a sentence about whoever writes it.
_NO_BEGINNING = frozenset({"junk_word", "wordless", "credit"})
# So many lines in a row are a list of steps.
LEAST_IN_TURN = 3
_IN_TURN = re.compile(rf"^\s*(?:(?P<number>\d{{1,2}}\s*[.):]|step\s+\d)|(?P<dash>[{BULLETS}]))\s*(?=[^\W\d_])", re.I)
_TOLD = frozenset({"imperative", "sentences", "temperature", "works", "long"})


def _tell_in_turn(found: Sequence[Statement], known: Sequence[Known], own: list[set[str]]) -> None:
    """Mark the lines of a method that is told in short numbered or dashed lines, some of which sound like foods: "1) Gelatine in cold water, 5 mins"."""
    forms = [(m["dash"] or "number") if (m := _IN_TURN.match(s.line.raw)) else "" for s in found]
    at = 0
    while at < len(found):
        end = at + 1
        while end < len(found) and forms[end] == forms[at] and found[end].line != found[at].line:
            end += 1
        row = range(at, end)
        told = [n for n in row if "imperative" in own[n]]
        listed = [
            n for n in row if known[n].has_unit and not known[n].is_behind and not own[n] & {"imperative", "numbered"}
        ]
        if (
            forms[at]
            and len(row) >= LEAST_IN_TURN
            and told
            and not listed
            and (forms[at] == "number" or 2 * sum(bool(own[n] & _TOLD) for n in row) >= len(row) - 1)
        ):
            for n in row:
                own[n].add("told_in_turn")
        at = end
    _count_along(found, own)


def _count_along(found: Sequence[Statement], own: list[set[str]]) -> None:
    """Mark lines in a row that numbers without a stop count, where most of them tell something to do: "1 Pulse flour", "2 Slice nectarines"."""
    numbers = [(int(m[1]), m[2]) if (m := _COUNTED_ALONG.match(s.line.raw)) else None for s in found]
    at = 0
    while at < len(found):
        end = at + 1
        while end < len(found) and (one := numbers[end - 1]) and (two := numbers[end]) and two[0] == one[0] + 1:
            end += 1
        row = [told for told in numbers[at:end] if told]
        if (
            len(row) >= LEAST_IN_TURN
            and row[0][0] == 1
            and sum(fold(word) in word_list("verb") for _, word in row) >= len(row) - 1
        ):
            for n in range(at, end):
                own[n].add("told_in_turn")
        at = end


def _count_by_title(found: Sequence[Statement], own: list[set[str]]) -> None:
    """Mark a count of what the title calls itself, near it, as portions: "12 cups" below "Peanut butter cups"."""
    name = re.findall(r"[^\W\d_]+", found[0].text)[-1:]
    for n in range(1, min(len(found), NEAR_THE_TITLE)):
        counted = SO_MANY_OF_IT.fullmatch(found[n].text.strip())
        if counted and name and name[0].lower() == counted[2].lower() and own[n] & {"amount_only", "counted_unknown"}:
            own[n] = {"portions", "short"}


# So many lines below the title [lines] (judgement).
NEAR_THE_TITLE = 5
_COUNTED_ALONG = re.compile(r"^\s*(\d{1,2})\s+([A-Z][a-z]+)\b")


# "Peanut brittle -- 1 lb": what it comes to, behind the name of what is made.
_SO_MUCH_OF_IT = re.compile(
    r"^[A-Z][^\d]{2,40}\b(?:brittle|fudge|toffee|honeycomb|nougat|granola|ice cream|sorbet|sherbet|gelato)\s*(?:[-–—:,(]+|makes)\s*(?:about\s+|approx\.?\s+)?[\d½¼¾][\d./½¼¾ ]*(?:lbs?|pounds?|kg|g|oz|pints?|quarts?|litres?|liters?|ml|cups?)\b\.?\)?$",
    re.I,
)


def _name_parts(found: Sequence[Statement], known: Sequence[Known], own: list[set[str]]) -> None:
    """Mark what stands over weighed foods and is none itself, or the name of one of them: "Frangipane", "Rhubarb"."""
    weighed = {"weighed", "counted"}
    for n in range(1, len(found) - 2):
        # "Icing (keep it cool!)"
        text = re.sub(r"\s*\([^()\d]*\)$", "", found[n].text)
        # "Shortbread to go with (12 fingers)"
        text = _BESIDE.sub("", text)
        # "Cake layers ×2"
        text, is_doubled = re.subn(r"\s*[x×]\s*\d$", "", text)
        if not re.match(r"^[^\W\d_][^\d.,;!?]{2,30}$", text) or (known[n].has_amount and not is_doubled):
            continue
        is_kind = found[n].line.gap and text.lower() in _KINDS_OF_FOOD
        is_set_apart = found[n].line.gap and (not known[n].has_food or is_kind)
        if (
            not text[:1].isupper()
            and not is_set_apart
            and not (
                (found[n].line.gap or not known[n].food) and text in word_list("component") - word_list("deed_food")
            )
        ):
            continue
        below = weighed | {"weighed_behind"}
        # "cross", over one food alone
        is_over_one = is_set_apart and found[n + 2].line.gap
        if len(text.split()) > MOST_WORDS_OF_A_PART or not (own[n + 1] & below and (own[n + 2] & below or is_over_one)):
            continue
        last = text.lower().split()[-1].rstrip("s")
        is_part = text.lower().split()[-1] in word_list("component")
        is_early = n <= EARLY and not any(own[k] & weighed for k in range(n))
        if (
            not known[n].food
            or is_part
            or is_kind
            or is_early
            or any(last in below.text.lower() for below in found[n + 1 : n + 7])
        ):
            own[n].add("heads")


_BESIDE = re.compile(
    r"\s+(?:to (?:go|serve)(?: with(?: (?:it|them))?| alongside)?|alongside|on the side)?\s*(?:\((?:makes\s+)?(?:about\s+)?\d{1,2}(?:\s+[^\W\d_]+){0,2}\))?$",
    re.I,
)
# Over foods of their own these name what they make.
_KINDS_OF_FOOD = frozenset(
    {
        "fruit",
        "fruits",
        "berries",
        "crème",
        "nuts",
        "spices",
        "cream",
        "chocolate",
        "pastry",
        "syrup",
        "apples",
        "caramel",
    }
    | {
        "pâte sucrée",
        "pâte brisée",
        "pâte sablée",
        "sweet pastry",
        "shortcrust pastry",
        "choux pastry",
        "crème pâtissière",
    }
    | {"pastry cream", "lemon curd", "frangipane"}
)
MOST_WORDS_OF_A_PART = 3
# Before any weighed food a short line in the first few is the title, portions or the name of a part.
EARLY = 3


def _first_food(own: Sequence[set[str]]) -> int:
    """Return where the first weighed food stands, else the first counted one, else the end."""
    for wanted in ({"weighed", "weighed_behind"}, {"counted"}):
        for n, marks in enumerate(own):
            if marks & wanted:
                return n
    return len(own)


def _section_after(section: Section, marks: Set[str], following: Set[str]) -> Section:
    """Return the section that a statement leaves the text in: what its heading announces, or the one before."""
    for kind in ("ingredients", "method", "notes"):
        if f"heading_{kind}" in marks:
            return kind
    if section == "method" and "heading_form" in marks and following & {"weighed", "counted"}:
        return "ingredients"
    return section


# "Makes: 1 x 20 cm cake", above the name
_ASKS_HOW_MANY = re.compile(r"\W*(?:makes|serves|servings|yields?|portions|feeds)\b", re.I)
# "MUG BROWNIE - serves me, myself & I"
_SHOUTED_NAME = re.compile(r"[A-Z]{3,}(?: [A-Z&]+)+ [-–—] ")


def _is_of_the_writer(text: str, marks: Set[str]) -> bool:
    """Return whether a line is a sentence about whoever writes, which no text is named by: "Hi Tomas, here it is at last." """
    if _SHOUTED_NAME.match(text):
        return False
    is_told = bool(marks & {"long", "sentences"}) or (text.count(" ") >= LEAST_TOLD and bool(re.search(r"[,.!]", text)))
    return "personal" in marks and is_told


def _begins_a_list(n: int, found: Sequence[Statement], own: Sequence[Set[str]]) -> bool:
    """Return whether a statement is the first of a block whose next ones are foods with their amounts: "24 sponge fingers"."""
    block = itertools.takewhile(lambda k: not found[k].line.gap, range(n + 1, len(found)))
    listed = sum(bool(own[k] & _LISTED) for k in itertools.islice(block, MOST_LOOKED_AT))
    return found[n].line.gap and listed >= LEAST_IN_A_BLOCK


# So many foods with amounts among the next so many lines are a list [1] (judgement).
LEAST_IN_A_BLOCK, MOST_LOOKED_AT = 2, 6
_LISTED = frozenset({"weighed", "counted", "weighed_behind", "weighed_unknown"})


def _place_marks(
    n: int, first_food: int, section: Section, found: Sequence[Statement], own: list[set[str]]
) -> set[str]:
    """Return the marks that a statement has by where it stands."""
    marks = {"any", "opening" if n < first_food else "not_opening"}
    if "portions_bare" in own[n] and n < first_food and section != "ingredients" and not _begins_a_list(n, found, own):
        marks.add("portions")
    if section:
        marks.add(f"under_{section}")
    is_early = 0 < n < first_food < len(found) and not section
    is_above = is_early and any(found[k].line.gap for k in range(n + 1, min(first_food, n + EARLY) + 1))
    if is_above and not own[n] & (_FOODS | {"amount_only", "heading_form"}):
        marks.add("apart_above")
    if (
        found[n].line.gap
        and "short" in own[n]
        and not own[n] & _WITH_AMOUNT
        and not re.search(r"[.!?,]$", found[n].raw)
    ):
        marks.add("set_apart")
    if n:
        before = found[n - 1]
        is_stop = (
            bool(re.search(r"[.!?:;]\s*$", before.raw))
            or found[n].line.gap
            or found[n].line == before.line
            or SENT_AT.match(found[n].line.raw) is not None
        )
        is_heading = bool(
            own[n - 1] & {"heading_form", "heading_ingredients", "heading_method", "heading_notes", "portions", "time"}
        )
        marks.add("after_stop" if is_stop or is_heading else "after_open")
        if not is_stop and _HANGS.search(before.raw) and not own[n] & {"weighed", "counted", "amount_only"}:
            marks.add("hanging")
        if not is_stop and found[n].line != before.line and _is_torn(before, found[n], own[n - 1], own[n]):
            marks.add("torn")
        if not is_stop and own[n - 1] & _FOODS and not own[n] & _WITH_AMOUNT and _JOINED_ON.match(found[n].raw.strip()):
            marks.add("joined_on")
        is_told = bool(own[n - 1] & {"sentences", "imperative", "works"}) and len(before.text.split()) >= LEAST_TOLD
        if (
            not is_stop
            and n > first_food
            and is_told
            and "lower_start" in own[n]
            and "imperative" not in own[n]
            and found[n].line != before.line
        ):
            marks.add("goes_on")
    return marks


_FOODS = frozenset({"weighed", "counted", "weighed_behind", "plain_food"})
_JOINED_ON = re.compile(
    r"(?:and|or|then|with|&)\s+(?!\d)[a-z]|\((?!optional|all\b|weights?\b|amounts?\b|everything\b)[a-z][^()\d]{2,30}\)$"
)
_AWAITS_NUMBER = re.compile(r"\b(?:at|for|about|around|to|of|gas|mark|an?other)\s*$", re.I)
_COUNTED_BY = re.compile(r"(?:min(?:ute)?s?|hours?|hrs?|seconds?|degrees|°|º|cm|inch(?:es)?)\b|[°º]\s?[CF]\b", re.I)


def _is_torn(before: Statement, statement: Statement, told: Set[str], marks: Set[str]) -> bool:
    """Return whether a line end stands before a number that belongs to the words above it ("bake at", "190 C"), or between a number and its unit; or in a step behind a comma."""
    if marks & {"weighed", "counted"}:
        return False
    text = statement.raw.strip()
    if "portions" in told and re.fullmatch(r"[a-z]+s\.?", text) and kind_of(text.rstrip(".")) == "piece":
        return True  # "cuts into 16 good", "slices."
    return bool(
        (_AWAITS_NUMBER.search(before.raw) and re.match(r"\d", text))
        or (
            told & _TOLD
            and before.raw.rstrip().endswith(",")
            and (text[:1].islower() or (re.match(r"\d", text) and marks & {"time", "temperature"}))
        )
        or (re.search(r"\d\s*$", before.raw) and _COUNTED_BY.match(text))
    )


# A sentence of so many words that ends without a stop goes on below.
LEAST_TOLD = 6


def _tells_more_than_portions(text: str) -> bool:
    """Return whether a line names something beside its portions, as a title may: "Fig loaf (makes 12 slices)"."""
    rest, said = of_title(text)
    return (
        said is not None
        and not is_asking(rest)
        and bool(re.search(r"[^\W\d_]{3,}", rest))
        and not statements(f"{rest} 4")
        and not bare_count(rest)
    )


def _best_path(emission: Matrix) -> list[Role]:
    start, between = _order()
    best = start + emission[0]
    came = np.zeros(emission.shape, dtype=int)
    for n in range(1, len(emission)):
        through = best[:, None] + between
        came[n] = through.argmax(axis=0)
        best = through.max(axis=0) + emission[n]
    at = int(best.argmax())
    path = [at]
    for n in range(len(emission) - 1, 0, -1):
        at = int(came[n, at])
        path.append(at)
    return [ROLES[k] for k in reversed(path)]
