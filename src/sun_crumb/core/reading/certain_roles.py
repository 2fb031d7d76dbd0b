"""Lines whose role their own words, or the lines beside them, leave no doubt of: a page's trail, a date, a name that a line end has torn."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Mapping, Sequence
from itertools import pairwise

from sun_crumb.core.reading.above_the_list import above_the_list
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.counts import kind_of
from sun_crumb.core.reading.dessert_words import ends_with_a_dessert, holds_a_dessert
from sun_crumb.core.reading.food_ends import begins_food
from sun_crumb.core.reading.headings import PLACE, names_a_part
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.no_food_lines import no_food_lines
from sun_crumb.core.reading.page_lines import (
    MOST_HEAD_LINES,
    below_its_name_again,
    below_its_trail,
    below_the_page,
    named_fields,
    of_a_page,
    table_heads,
)
from sun_crumb.core.reading.physical import Physical, Statement
from sun_crumb.core.reading.portion_asides import bare_count, of_title
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.telegraphic_steps import telegraphic_steps
from sun_crumb.core.reading.title_words import GREETED
from sun_crumb.core.reading.torn_names import torn_names
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reading.wrapped import wrapped


def certain_roles(
    lines: Sequence[Physical],
    found: Sequence[Statement],
    told: Mapping[str, Known],
    known: Callable[[str], Known],
) -> dict[int, Role]:
    """Return the roles that are certain, by the numbers of their lines.

    Parameters
    ----------
    lines, found
        The lines of a text, and what they say.
    told, known
        What the pantry says of each statement, and of any other.
    """
    return {
        **above_the_list(found, told),
        **_named_and_counted(found),
        **of_a_page(found),
        **below_the_page(found, told),
        **table_heads(lines),
        **_lists_first(found, told),
        **_part_first(found, told),
        **_parts_by_place(found, told),
        **_shouted_portions(found),
        **_counted_parts(found, told),
        **telegraphic_steps(found, told),
        **wrapped(found),
        **_bare_parts(found, told),
        **named_fields(found),
        **no_food_lines(found),
        **below_its_trail(found),
        **below_its_name_again(found, told),
        **_portions_first(found),
        **_for_so_many(found),
        **_told_beside(found),
        **_greeted(found),
        **_told_step_by_step(found, told),
        **torn_names(found, told, known),
    }


# Portions that stand first have a name and two foods below them; so many foods told in a text's first line are its list [1].
LEAST_BELOW, LEAST_TOLD_FOODS = 2, 3


def _lists_first(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the line that a text begins with where it holds several foods, each with its amount, and no name: "You need: 4 eggs, 200 g sugar, 1 lemon"."""
    first = [told[s.text] for s in found if s.line.number == found[0].line.number] if found else []
    foods = sum(known.has_food and known.has_amount for known in first)
    is_list = foods >= LEAST_TOLD_FOODS and foods >= MOST_OF_IT * len(first) and begins_food(found[0].text)
    return {found[0].line.number: "food"} if is_list else {}


def _part_first(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the line that a text begins with where it stands over a part's list, and names no dessert: "Ingredients for the sponge" over "5 eggs"."""
    if len(found) < LEAST_BELOW or not told[found[1].text].has_food:
        return {}
    return {found[0].line.number: "heading"} if _OVER_A_PART.fullmatch(found[0].text) else {}


def _parts_by_place(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines that say alone where the foods below them go: "on top", over "120 g blueberries", but not "Top: 100 g sugar"."""
    several = Counter(s.line.number for s in found)
    return {
        place.line.number: "heading"
        for place, below in pairwise(found)
        if several[place.line.number] == 1
        and PLACE.fullmatch(place.raw.strip(" *#_=:–—-"))
        and told[below.text].has_food
        and told[below.text].has_amount
    }


def _shouted_portions(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that tell for how many it is as a heading would: "MAKES: FOUR"."""
    return {
        s.line.number: "portions" for s in found if _SHOUTED_FOR.fullmatch(s.raw.strip(" *#_=")) and statements(s.text)
    }


def _counted_parts(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines that name a part and how many it makes, where several of a text do, each over its foods: "POSSETS (6)" and "SHORTBREAD (makes 18)"."""
    named = {
        one.line.number: one
        for one, below in pairwise(found)
        if _COUNTED_PART.fullmatch(one.raw.strip(" *#_=:"))
        and told[below.text].has_food
        and told[below.text].has_amount
        and not one.line.is_first
        and _is_no_food(one, told[one.text])
    }
    return dict.fromkeys(named, "heading") if len(named) > 1 else {}


def _is_no_food(one: Statement, known: Known) -> bool:
    """Return whether a name with a count is a dessert or its part, and no "Eggs (2)"."""
    name = one.raw.split("(")[0].strip(" *#_=:")
    is_told = re.search(r"\b(?:makes|for|serves)\b", one.raw) is not None
    return (ends_with_a_dessert(name) or names_a_part(name)) and (is_told or name.isupper() or not known.has_food)


_COUNTED_PART = re.compile(
    r"[A-Z][^\W\d_]*(?: (?:&|and|[^\W\d_]+)){0,3} \((?:(?:makes|for|serves|enough for)\s+)?(?:about )?\d{1,2}(?: [a-z]+)?\)"
)
_SHOUTED_FOR = re.compile(
    r"(?:makes|serves|feeds|yields?)\s*[:=]\s*(?:two|three|four|five|six|seven|eight|nine|ten|twelve|a dozen)\W*", re.I
)
_OVER_A_PART = re.compile(
    r"(?:the\s+)?(?:ingredients|you(?:['’]ll| will)? need|what you need|what goes in(?:to)?)(?:\s+for)?\s+(?:the|our)\s+(?:base|sponge|cake|crust|dough|batter|filling|layers?|biscuits?|pastry|crumble|pudding|bottom)\W*",
    re.I,
)
# Such a share of what a line tells is foods with their amounts, where it is a list (judgement).
MOST_OF_IT = 0.75


def _named_and_counted(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the line that a text begins with where it names a dessert, and how many behind it: "Cake, honey & spice. 2 loaves. Each 10 slices."."""
    first = found[0].line.raw.strip(" *#_=:") if found else ""
    name, said = of_title(first)
    is_dessert = (
        holds_a_dessert(name) or holds_a_dessert(re.sub(r"[()]", "", name)) or _POTTED.search(first) is not None
    )
    is_counted = said is not None and (said.count is not None or said.whole)
    is_named = is_counted and is_dessert and _NAME.fullmatch(name)
    is_short = len(first.split()) <= MOST_WORDS_OF_A_NAME and sum(s.line is found[0].line for s in found) == 1
    return {found[0].line.number: "title"} if is_named and is_short and not begins_food(first) else {}


# "Strawberry jam, lower sugar. 4 jars"
_POTTED = re.compile(
    r"\b(?:jam|jelly|marmalade|curd|preserve|butter|chutney|compote)\b.*\b\d{1,2}\s+(?:\w+\s+)?(?:jars|pots|glasses)$",
    re.I,
)
_NAME = re.compile(r"[A-Z][^\d:;!?]{3,60}")
# A name and how many has so many words at most (judgement).
MOST_WORDS_OF_A_NAME = 14


# A name and where it is from is no longer than so many characters (judgement).
LONGEST_NAMED_FROM = 80
# "Pear cake from the allotment newsletter (issue 14)"
_WHERE_FROM = re.compile(r"([A-Z][^.:;,()\d]{3,50}?)\s+from\s+(?:the|my|our|an?)\s+[^\W\d_]")
# "Für 4 Personen:"
_FOR_EATERS = re.compile(
    r"(?:for|per|pour|für|fuer|para|por|voor|för|til|dla|pro)\s+\d{1,2}(?:\s*[-–]\s*\d{1,2})?\s+([^\W\d_]+)\s*:?", re.I
)


def _portions_first(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the line that a text begins with where it tells how many it makes, and the dessert's name stands below: "Makes 24" and "Ginger snaps"."""
    if len(found) <= LEAST_BELOW or begins_food(found[1].text) or re.search(r"\d", found[1].text):
        return {}
    first = found[0].raw.strip(" *#_=:")
    is_told = _TELLS_PORTIONS.match(first) is not None and bool(statements(first))
    return {found[0].line.number: "portions"} if is_told or bare_count(first) else {}


def _for_so_many(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that say for how many the list below them is, as a heading would: "Per 8 persone:"."""
    return {
        s.line.number: "portions"
        for s in found
        if (told := _FOR_EATERS.fullmatch(s.line.raw.strip(" *#_="))) and kind_of(told[1].lower()) == "person"
    }


def _told_beside(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines near the top that tell how many and the tin or the time, and no food: "16 Stück, Springform 26 cm"."""
    return {
        s.line.number: "portions"
        for s in found[1:MOST_HEAD_LINES]
        if _tells_portions_and_tin(s.text) or _tells_portions_in_brackets(s.raw.strip())
    }


def _greeted(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the line that begins with the dessert and where it is from, or greets and names it: "Pear cake from the newsletter", "Hey Lou, the apple strudel:"."""
    first = found[0].line.raw.strip() if found else ""
    is_name = len(first) <= LONGEST_NAMED_FROM and first.count(",") < 2
    if is_name and (told := _WHERE_FROM.match(first)) and ends_with_a_dessert(told[1]):
        return {found[0].line.number: "title"}
    for s in found[:MOST_HEAD_LINES]:
        if (named := GREETED.match(s.line.raw.strip())) and ends_with_a_dessert(named[1]):
            return {s.line.number: "title"}
    return {}


def _told_step_by_step(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines that number a recipe's steps, where these alone tell its foods: "Step 1 - Make the dough: 300 g flour, 200 g butter"."""
    steps = {s.line.number for s in found if _STEP.match(s.line.raw)}
    listed = [s for s in found if s.line.number not in steps and told[s.text].has_food and told[s.text].has_unit]
    is_told = (
        len(steps) > 1
        and not listed
        and any(read_amount(m[0]) for n in found for m in [_WITHIN.search(n.line.raw)] if m)
    )
    return dict.fromkeys(steps, "step") if is_told else {}


_STEP = re.compile(r"\W*step\s+(?:\d{1,2}|one|two|three|four|five|six)\b\W*\s", re.I)
_WITHIN = re.compile(r"(?<=[:,;] )\d[\d.,/½¼¾]*\s*(?:g|kg|ml|oz|cups?|tbsp|tsp)\b", re.I)


def _tells_portions_in_brackets(raw: str) -> bool:
    """Return whether a line in brackets tells how many, behind where it is from: "(from an old magazine; 3 dozen)"."""
    inside = re.fullmatch(r"\(([^()]+)\)", raw)
    cells = re.split(r"\s*[,;|/·•]\s+|\s[-–—]\s", inside[1]) if inside else []
    first = bare_count(cells[0]) if cells else None
    # "(12 slices, make the day before)"
    is_first = (
        first is not None
        and first.count is not None
        and first.count.kind == "piece"
        and not re.search(r"\d", "".join(cells[1:]))
    )
    is_last = len(cells) > 1 and bare_count(cells[-1]) is not None and not any(map(begins_food, cells[:-1]))
    return is_last or (len(cells) > 1 and is_first)


def _tells_portions_and_tin(text: str) -> bool:
    cells = [cell.strip("()[]<>~* ") for cell in re.split(r"\s*[,;|/·•]\s+|\s[-–—]\s", text) if cell.strip()]
    counts = [cell for cell in cells if bare_count(cell) or (_TELLS_PORTIONS.match(cell) and statements(cell))]
    return len(cells) > 1 and bool(counts) and all(cell in counts or _TIN_OR_TIME.search(cell) for cell in cells)


_TIN_OR_TIME = re.compile(
    r"\d\s*(?:cm|inch|in\b|min|h\b|hr|hours?)|\d{3}\s*(?:°|[CF]\b)|\b(?:springform|tin|pan|oven|easy|kastenform)\b",
    re.I,
)


_TELLS_PORTIONS = re.compile(
    r"(?:serves|serving|makes|yields?|gives|feeds|enough|portions|servings)\b[^.]{1,40}\.?$", re.I
)


def _bare_parts(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines that name a part by a word that is a food too, below an empty line and over its foods: "Jam" and "4 tbsp raspberry jam"."""
    lines: dict[int, Role] = {}
    listed = [
        told[s.text]
        for s in found
        if told[s.text].has_food and not names_a_part(s.text) and s.text.lower() not in _ALSO_A_PART
    ]
    is_measured = sum(known.has_amount for known in listed) >= MEASURED * len(listed)
    for before, statement in pairwise(found):
        name = before.raw.strip().rstrip(":").lower()
        # In a list where all else is measured a bare "Jam" names a part also without an empty line above.
        is_apart = before.line.gap or (
            is_measured and before.raw.strip()[:1].isupper() and len(listed) > LEAST_MEASURED
        )
        is_above = is_apart and statement.line.number == before.line.number + 1 and not statement.line.gap
        # "topping", over one food
        is_part = name in _ALSO_A_PART or (before.line.gap and name in word_list("component"))
        if is_above and is_part and told[statement.text].has_amount and told[statement.text].has_food:
            lines[before.line.number] = "heading"
    return lines


# A list of so many foods is measured where such a share have their amounts [1], [share] (judgement).
LEAST_MEASURED, MEASURED = 4, 0.85


_ALSO_A_PART = frozenset(
    {
        "toffee",
        "fudge",
        "marshmallow",
        "syrup",
        "jelly",
        "jam",
        "curd",
        "custard",
        "caramel",
        "cream",
        "pastry",
        "crumbs",
        "ganache",
        "compote",
        "coulis",
    }
)
