"""What each statement of a text is: the likeliest roles over the whole of it, by marks of its own and of its neighbours.

Every mark adds to the score of every role (line_marks.csv), and so does the order in which roles follow each other
(line_order.csv); the path with the highest sum over the whole text is taken.
"""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence, Set
from dataclasses import dataclass, replace
from functools import cache
from typing import Any, Literal, get_args

import numpy as np

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.nutrition import take_out_nutrition
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.portions import bare_count, of_title, said_in, statements
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reference import table

ROLES: tuple[Role, ...] = get_args(Role)
Section = Literal["", "ingredients", "method", "notes"]
FORCED = 1000.0
Matrix = np.ndarray[Any, np.dtype[np.float64]]

_STEP_NUMBER = re.compile(
    r"^\s*(?:step\s*)?(?:\d{1,2}|[ivx]{1,4})\s*[.):\-–]\s*(?=\D)|^\s*step\s+\w+\s*[:.\-–]?\s*", re.I
)
# "2 Butter and flour 8 tins": a number with nothing behind it, before what is to be done.
_BARE_NUMBER = re.compile(r"^\s*\d{1,2}\s+(?=([A-Z][a-z]+)\b)")
_DURATION = re.compile(
    r"\b(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|chill(?:ing)?|rest(?:ing)?|active|hands[- ]on|ready|inactive|cooling|freez(?:e|ing)|setting|proving)"
    r"(?:\s+time)?\s*(?:in\b)?\s*[:=\-–]?\s*(?:about\s+|overnight|\d)",
    re.I,
)
_SENTENCE_END = re.compile(r"[.!?]\s+(?=[^\W\d_])")
_WITH_AMOUNT = frozenset(
    ["weighed", "counted", "weighed_behind", "weighed_unknown", "counted_unknown", "amount_only", "portions"]
)
_TEMPERATURE = re.compile(
    r"\b\d{3}\s*(?:°|º|deg(?:rees)?\b\.?)\s*(?:[CF]\b)?|\b\d{3}\s?[CF]\b|\bgas\s*(?:mark\s*)?\d\b|^\W*fan\s+\d{3}\b",
    re.I,
)
# How a line ends that goes on below.
_HANGS = re.compile(
    r"(?:[,(–&+-]|\b(?:at|of|and|or|the|with|in|for|to|from|into|very|until|room|plus|a|an|extra))\s*$", re.I
)
_TIME_ONLY = re.compile(
    r"^\W*(?:about\s+)?\d+[\s\d–-]*(?:min(?:ute)?s?|h(?:ou)?rs?|h)\b(?:\s*(?:and\s+)?\d+\s*min\w*)?\W*$", re.I
)
FOR_THE = re.compile(r"^(?:for|to make|to finish)(?:\s+the)?\s+([^\W\d_][\w' -]{1,40}?)\s*:?$", re.I)
# "What you need for the base", "And for the lemon layer".
FOR_THE_PART = re.compile(r"\bfor\s+(?:the|our)\s+([^\W\d_][\w' -]{1,30})$", re.I)
# "Frosting (enough for 6)": a part of the dessert, and for how many it is enough.
_PART_FOR = re.compile(r"^([^\W\d_][^\d()]{1,30})\s*[(\[](?:makes?\s+)?(?:enough\s+)?for\s+[^()]*[)\]]\s*:?$", re.I)
# What is there for the end, as a heading over its foods.
_LAST_TOUCH = re.compile(
    r"(?:to|for) (?:serve|serving|decorate|decoration|finish|finishing|garnish|top|topping|assemble|assembly|coat|coating|glaze|dust)",
    re.I,
)
_OPTIONAL_PART = re.compile(
    r"^([^\W\d_][^\d()]{1,30}?)\s*[(\[](?:optional|if liked|if you like|(?:sprinkle|spread|pour|spoon|drizzle|dollop|pipe)\b[^\d()]{0,24})[)\]]\s*:?$",
    re.I,
)
_USES = re.compile(r"\b(?:dusting|greasing|serving|rolling|brushing|sprinkling|frying|decorating|garnish)\b", re.I)


@dataclass(frozen=True, slots=True)
class Known:
    """What the pantry says of a statement: whether it holds an amount, with a unit or a bare count, and a food."""

    has_food: bool
    has_amount: bool
    has_unit: bool
    is_behind: bool
    is_only_amount: bool


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


@cache
def _phrases(kind: str) -> frozenset[str]:
    return frozenset(next(row["words"] for row in table("heading_words") if row["kind"] == kind).split(";"))


@cache
def _page(kind: str) -> re.Pattern[str]:
    words = next(row["words"] for row in table("page_words") if row["kind"] == kind).split(";")
    parts = (re.escape(w) if re.search(r"\W$|^\W", w) else rf"\b{re.escape(w)}\b" for w in words)
    return re.compile("|".join(parts), re.I)


def heading_kind(text: str) -> Section | Literal["stage"]:
    """Return what a line announces by its words alone: the list, the method, notes, a stage; or nothing."""
    bare = re.sub(r"\([^)]*\)", "", text).strip(" *#_=:–—-.!>").lower().replace("’", "'")
    bare = re.sub(r"^(?:step\s+)?\d+\s*[.)]\s*", "", bare).strip()
    if re.fullmatch(r"step\s+(?:\d{1,2}|one|two|three|four|five|six)", bare):
        return "method"
    for kind in ("ingredients", "method", "notes", "stage"):
        if bare in _phrases(kind) or (kind != "stage" and bare.removeprefix("the ") in _phrases(kind)):
            return kind
    if re.match(
        r"(?:the )?(?:ingredients|you'll need|you will need)\s+(?:for|makes)\s+(?:about |around |approx\.? )?(?:\d|one|two)",
        bare,
    ):
        return "ingredients"  # "Ingredients for 1 cake, 12 slices"
    if "/" in bare and (told := {heading_kind(part) for part in bare.split("/") if part.strip()} - {""}):
        return told.pop() if len(told) == 1 else ""  # "Zutaten / Ingredients"
    words = re.findall(r"[^\W\d_]+", bare)
    if (
        # "Now make it", "How we do it": a heading made of such words alone begins the method.
        2 <= len(words) <= 5
        and set(words) <= word_list("method") | word_list("little")
        and set(words) & word_list("making")
        and not re.search(r"\d", bare)
    ):
        return "method"
    return ""


def without_number(raw: str) -> str:
    """Return a step without the number that it begins with, as it is where it has none."""
    if numbered := _STEP_NUMBER.match(raw):
        return raw[numbered.end() :]
    bare = _BARE_NUMBER.match(raw)
    is_told = bare is not None and len(raw.split()) >= LEAST_WORDS_TOLD and fold(bare[1]) in word_list("verb")
    return raw[bare.end() :] if bare is not None and is_told else raw


# "2 Crumble toppings" is food; a step says more.
LEAST_WORDS_TOLD = 6


def is_heading_form(raw: str, text: str) -> bool:
    """Return whether a line has the form of a heading: few words, and a colon, capitals or marks around them."""
    words = re.findall(r"[^\W\d_]+", text)
    if not 1 <= len(words) <= 7 or len(text) > 60:
        return False
    stripped = raw.strip()
    if (
        len(words) == 1
        and words[0][:1].isupper()
        and words[0].lower() in word_list("component") - word_list("deed_food")
    ):
        return True
    bare = text.strip(" :")
    if _LAST_TOUCH.fullmatch(bare):
        return True
    if bare[:1].isupper() and (named := FOR_THE_PART.search(bare)) and not re.search(r"\d", text):
        return not _USES.search(named[1])
    if found := FOR_THE.match(text.strip(" :")):
        return stripped.endswith(":") or not _USES.search(found[1])
    if stripped.endswith((":", " -", " –", " —")) or re.match(r"#|==|--|~(?!\s*\d)", stripped):
        return True
    return text.isupper() and len(words) <= 5 and not re.search(r"\d", text)


# "1 tin loquats in syrup": what comes in a tin is food, also where nobody knows it.
_TIN_OF = re.compile(
    r"[\s\w.,x×½()]*?\d[\s\w.,x×½()]*?\b(?:tins?|cans?|jars?)\)?\s+(?:of\s+)?(?!(?:lined?|liners?|greased|opener|foil|paper|base|lid|for|with|about|or)\b)[a-z]{3,}",
    re.I,
)


def marks_of(statement: Statement, known: Known) -> set[str]:
    """Return the marks of a statement by itself."""
    raw, text = statement.raw, statement.text
    words = re.findall(r"[^\W\d_]+(?:['’][^\W\d_]+)?", text)
    if _RATING.search(text) and len(words) <= 6:
        return {"junk_word", "short"}
    if not words:
        return {"amount_only"} if known.has_amount else {"wordless"}
    if len(words) == 1 and not re.search(r"\d", text):
        # "Drizzle" alone is a part of a dessert, and no amount of anything.
        known = replace(known, has_amount=False, has_unit=False, is_behind=False, is_only_amount=False)
    method = _method_marks(raw, text, words, known)
    found = (
        _heading_marks(raw, text, words, known) | method | _amount_marks(known, words, is_step="imperative" in method)
    )
    found |= _kinds_of_words(raw, text, words)
    if known.has_food and (known.has_amount or not found & {"tool"}):
        found -= {"tool", "personal", "junk_word", "works"}
    if known.has_unit and _TIN_OF.match(text):
        found.discard("tool")
    is_heading = bool(found & {"heading_form", "heading_ingredients"})
    if "heading_form" in found:
        found.discard("personal")  # "What you'll need for the base"
    found |= _portion_marks(text, words, is_heading=is_heading, has_food=known.has_food)
    found.add("long" if len(words) >= 15 else "short" if len(words) <= 4 else "plain")
    return found - {"plain"}


def _heading_marks(raw: str, text: str, words: Sequence[str], known: Known) -> set[str]:
    kind = heading_kind(text)
    if re.search(
        r"\bfor\s+\w+ing$|\w\s+for\s+garnish$|,\s*to\s+(?:serve|finish|decorate|dust|sprinkle|glaze|garnish)$", text
    ):
        return set()  # "icing sugar, for dusting"; "shortbread, to serve"
    if known.has_food and _AT_LAST.search(text) and not raw.rstrip().endswith(":"):
        return set()  # "berries to serve"
    found: set[str] = {f"heading_{kind}"} if kind and kind != "stage" else set()
    if aside := _OPTIONAL_PART.match(text):
        # "Glaze (optional)"
        text = aside[1]
        words = re.findall(r"[^\W\d_]+", text)
    if kind == "stage":
        found |= {"heading_word", "heading_form"}
    if is_heading_form(raw, text) and not (known.has_amount and known.has_unit):
        found.add("heading_form")
    if len(words) <= 4 and not known.has_amount and words[-1].lower() in word_list("component"):
        found.add("heading_word")
    if (part := _PART_FOR.match(text)) and part[1].split()[-1].lower() in word_list("component"):
        found |= {"heading_word", "heading_form"}
    return found


# "slivered almonds and pistachios, for garnish"
_AT_LAST = re.compile(
    r"\b(?:for|to)\s+(?:garnish|serve|serving|dust|dusting|decorate|finish|top|topping|drizzle|sprinkle)$", re.I
)


def _amount_marks(known: Known, words: Sequence[str], *, is_step: bool) -> set[str]:
    if known.is_only_amount:
        return {"amount_only"}
    if not known.has_amount:
        is_short = len(words) <= 6 or _AT_LAST.search(" ".join(words)) is not None
        return {"plain_food"} if known.has_food and is_short else set()
    if known.is_behind:
        return set() if is_step or len(words) > 8 else {"weighed_behind" if known.has_food else "weighed_unknown"}
    name = "weighed" if known.has_unit else "counted"
    return {name if known.has_food else f"{name}_unknown"}


def _method_marks(raw: str, text: str, words: Sequence[str], known: Known) -> set[str]:
    found: set[str] = set()
    rest = without_number(raw.strip())
    is_numbered = rest != raw.strip()
    if not is_numbered:
        rest = text
    if is_numbered and not read_amount(rest):
        found.add("numbered")
    first = re.search(r"[^\W\d_]+", rest)
    if first and first[0].lower() in word_list("deed_food") and (len(words) <= 4 or known.is_behind):
        # "Butter the slices, layer in a 1.5 litre dish" is done; "Butter for the dish, 20 g" is bought.
        first = first if _DONE_TO.match(rest) and len(words) > 4 else None
    begins_amount = known.has_amount and known.has_unit and not known.is_behind
    is_pair = len(words) == 2 and (
        all(fold(word) in word_list("verb") for word in words) or bool(_DURATION.search(text))
    )
    is_told = len(words) >= 3 or is_pair
    if first and fold(first[0]) in word_list("verb") and is_told and not begins_amount:
        found.add("imperative")
    if _SENTENCE_END.search(text):
        found.add("sentences")
    if _TEMPERATURE.search(text) or re.search(r"^oven\s*[:=]|\b(?:slow|cool|moderate|medium|hot)\s+oven\b", text, re.I):
        found.add("temperature")
    return found


_DONE_TO = re.compile(r"\w+\s+(?:the|a|an|each|both|your)\b", re.I)
_MADE_IN_MEASURE = re.compile(
    r"(?:makes?|yields?)\s*:?\s*(?:about\s+|approx(?:\.|imately)?\s+|~\s*)?[\d½⅓⅔¼¾.,/ ]+\s*(?:-\s*\d+\s*)?(?:cups?|ml|l|litres?|liters?|pints?|quarts?|oz|g|kg|lbs?)\b[^\d]{0,20}$",
    re.I,
)


def _portion_marks(text: str, words: Sequence[str], *, is_heading: bool, has_food: bool) -> set[str]:
    if re.match(r"for\s+\d", text, re.I) and (said := said_in(text.rstrip(" :"))) and said.count and said.count.kind:
        return {"portions"}  # "For 12 buns:"
    if _MADE_IN_MEASURE.match(text):
        return {"portions"}  # "Makes: approx 4 cups"
    if bare_count(text) and not is_heading:
        return {"portions_bare" if has_food else "portions"}
    if re.match(r"for\b", text, re.I) and not is_heading and (said := said_in(text)) and said.count:
        return {"portions"}  # "For 6 ramekins"
    if not statements(text):
        return set()
    is_alone = len(words) <= 9 and not is_heading and not _SENTENCE_END.search(text)
    return {"portions" if is_alone else "portions_within"}


def _kinds_of_words(raw: str, text: str, words: Sequence[str]) -> set[str]:
    kinds = (("junk_word", "junk"), ("keeping", "keeping"), ("works", "works"), ("personal", "personal"))
    # "Carrot traybake (about 200 kcal a square)": what a bracket adds makes no name a label.
    outside = re.sub(r"\([^()]*\)", " ", text)
    found = {mark for mark, kind in kinds if _page(kind).search(outside if len(outside.split()) > 1 else text)}
    if _TRAIL.fullmatch(text):
        found.add("junk_word")  # "HOME » BAKING » CAKES"
    if _page("tool").search(re.split(r"[,(]|\bfor\b", text)[0]):
        found.add("tool")
    if _TIME_ONLY.match(text) or (_DURATION.search(text) and len(words) <= 14):
        found.add("time")
    if len(words) <= 8 and _page("credit").match(text):
        found.add("credit")
    if _page("note").match(raw.strip()):
        found.add("note_word")
    if (raw.lstrip()[:1].islower() and not _AT_LAST.search(text)) or raw.lstrip()[:1] in "(&":
        found.add("lower_start")
    return found


# Where a page stands among the others of its site.
_TRAIL = re.compile(r"[^\W\d_][\w&' -]{1,30}(?:\s*[»›>]\s*[^\W\d_][\w&' -]{1,40}){1,5}")


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
    own = _own_marks(found, known)
    first_food = _first_food(own)
    index, scores = _scores()
    emission = np.zeros((len(found), len(ROLES)))
    section: Section = ""
    for n, statement in enumerate(found):
        marks = _place_marks(n, first_food, section, found, own) | own[n]
        section = _section_after(section, marks, own[n + 1] if n + 1 < len(own) else set())
        emission[n] = scores[[index[mark] for mark in marks]].sum(axis=0)
        if forced and (role := forced.get(statement.line.number)):
            emission[n, ROLES.index(role)] += FORCED
    return _best_path(emission)


def _own_marks(found: Sequence[Statement], known: Sequence[Known]) -> list[set[str]]:
    """Return the marks that each statement has by itself, and which of them begins the recipe."""
    # The same words have the same marks wherever they stand.
    seen: dict[str, set[str]] = {}
    for statement, held in zip(found, known, strict=True):
        if statement.raw not in seen:
            seen[statement.raw] = marks_of(statement, held)
    own = [set(seen[statement.raw]) for statement in found]
    for n in range(len(found) - 1):
        if is_asking(found[n].text) and bare_count(f"{found[n + 1].text} portions"):
            # "Servings" on a line, and the number on the next.
            own[n] = own[n + 1] = {"portions", "short"}
    begin = next((n for n, marks in enumerate(own) if not marks & {"junk_word", "wordless", "credit"}), 0)
    if _tells_more_than_portions(found[begin].text) or _SO_MUCH_OF_IT.search(found[begin].text):
        own[begin] -= {"portions", "portions_bare", "weighed_behind"}
    take_out_nutrition(found, own)
    own[begin].add("first")
    _name_parts(found, known, own)
    _tell_in_turn(found, known, own)
    return own


# So many lines in a row are a list of steps.
LEAST_IN_TURN = 3
_IN_TURN = re.compile(r"^\s*(?:(?P<number>\d{1,2}\s*[.):]|step\s+\d)|(?P<dash>[-–*•>]))\s*(?=[^\W\d_])", re.I)


_TOLD = frozenset({"imperative", "sentences", "temperature", "works", "long"})


def _tell_in_turn(found: Sequence[Statement], known: Sequence[Known], own: list[set[str]]) -> None:
    """Mark the lines of a method that is told in short numbered or dashed lines, some of which sound like foods: "1) Gelatine in cold water, 5 mins"."""
    forms = [(m.lastgroup or "") if (m := _IN_TURN.match(s.line.raw)) else "" for s in found]
    at = 0
    while at < len(found):
        end = at + 1
        while end < len(found) and forms[end] == forms[at] and found[end].line != found[at].line:
            end += 1
        row = range(at, end)
        told = [n for n in row if "imperative" in own[n]]
        listed = [n for n in row if known[n].has_unit and not own[n] & {"imperative", "numbered"}]
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


# "4.8 stars (312 ratings)"
_RATING = re.compile(r"\b\d(?:[.,]\d)?\s*(?:stars?\b(?!\s+anise)|/\s*5\b)|\b\d+\s+(?:ratings|reviews|votes)\b", re.I)


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
        if not re.match(r"^[^\W\d_][^\d.,;!?]{2,30}$", text) or known[n].has_amount:
            continue
        if not text[:1].isupper() and not (
            found[n].line.gap and text in word_list("component") - word_list("deed_food")
        ):
            continue
        if len(text.split()) > MOST_WORDS_OF_A_PART or not (own[n + 1] & weighed and own[n + 2] & weighed):
            continue
        last = text.lower().split()[-1].rstrip("s")
        is_part = text.lower().split()[-1] in word_list("component")
        is_kind = found[n].line.gap and text.lower() in _KINDS_OF_FOOD
        is_early = n <= EARLY and not any(own[k] & weighed for k in range(n))
        if (
            not known[n].has_food
            or is_part
            or is_kind
            or is_early
            or any(last in below.text.lower() for below in found[n + 1 : n + 7])
        ):
            own[n].add("heads")


# Over foods of their own these name what they make.
_KINDS_OF_FOOD = frozenset(
    {"fruit", "fruits", "berries", "nuts", "spices", "cream", "chocolate", "pastry", "syrup", "apples", "caramel"}
)
MOST_WORDS_OF_A_PART = 3
# Before any weighed food a short line in the first few is the title, portions or the name of a part.
EARLY = 3


def is_asking(text: str) -> bool:
    """Return whether a line is the word for portions alone, its number still to come."""
    return bool(
        re.fullmatch(r"\W*(?:servings?|serves|portions?|yields?|makes|number of (?:servings|portions))\W*", text, re.I)
    )


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


def _place_marks(
    n: int, first_food: int, section: Section, found: Sequence[Statement], own: list[set[str]]
) -> set[str]:
    """Return the marks that a statement has by where it stands."""
    marks = {"any", "opening" if n < first_food else "not_opening"}
    if "portions_bare" in own[n] and n < first_food and section != "ingredients":
        marks.add("portions")
    if section:
        marks.add(f"under_{section}")
    if (
        found[n].line.gap
        and "short" in own[n]
        and not own[n] & _WITH_AMOUNT
        and not re.search(r"[.!?,]$", found[n].raw)
    ):
        marks.add("set_apart")
    if n:
        before = found[n - 1]
        is_stop = bool(re.search(r"[.!?:;]\s*$", before.raw)) or found[n].line.gap or found[n].line == before.line
        is_heading = bool(
            own[n - 1] & {"heading_form", "heading_ingredients", "heading_method", "heading_notes", "portions", "time"}
        )
        marks.add("after_stop" if is_stop or is_heading else "after_open")
        if not is_stop and _HANGS.search(before.raw) and not own[n] & {"weighed", "counted", "amount_only"}:
            marks.add("hanging")
    return marks


def _tells_more_than_portions(text: str) -> bool:
    """Return whether a line names something beside its portions, as a title may: "Fig loaf (makes 12 slices)"."""
    rest, said = of_title(text)
    return (
        said is not None
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
