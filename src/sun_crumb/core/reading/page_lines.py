"""The lines of a page around its recipe, by what they lead to or ask for: its trail, what readers say, the name in a form, greetings."""

from __future__ import annotations

import itertools
import re
from collections.abc import Mapping, Sequence
from itertools import pairwise

from sun_crumb.core.reading.dessert_words import ASKS_THE_NAME, ends_with_a_dessert
from sun_crumb.core.reading.food_ends import begins_food
from sun_crumb.core.reading.headings import heading_kind
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.physical import Physical, Statement
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.words import word_list

# A page below a list of so many foods is over [1].
LEAST_TOLD_FOODS = 3
# Within so many lines a form asks for the dessert's name [1] (judgement).
MOST_OF_A_FORM = 12
MOST_HEAD_LINES, LEAST_LEADS, LAST_LINES = 3, 3, 2


def of_a_page(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that a page begins with, where one of the first leads to its other pages: the site's name and that."""
    head = list(itertools.takewhile(lambda s: _OF_A_MAIL.fullmatch(s.line.raw.strip()), found[:MOST_HEAD_LINES]))
    if len(head) > 1:
        return {s.line.number: "junk" for s in head}
    for statement in found[:MOST_HEAD_LINES]:
        if _WROTE.fullmatch(statement.line.raw):
            return {statement.line.number: "junk"}
        if _TRAIL.fullmatch(statement.line.raw):
            return {s.line.number: "junk" for s in found if s.line.number <= statement.line.number}
        told = statement.line.raw.lower()
        words = set(re.findall(r"[a-z]+", told))
        # "HOME | CAKES | ABOUT ME"
        least = LEAST_LEADS - 1 if told.count("|") > 1 and "home" in words else LEAST_LEADS
        if len(words & word_list("page_lead")) >= least and not re.search(r"\d", told):
            return {s.line.number: "junk" for s in found if s.line.number <= statement.line.number}
    return {}


def below_the_page(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines at a page's end that lead on to other pages and tell what readers said: below the recipe, and none of it food."""
    weighed = [known.has_food and known.has_unit for known in (told[s.text] for s in found)]
    for n, statement in enumerate(found):
        is_told = sum(weighed[:n]) >= LEAST_TOLD_FOODS
        leads_on = _LEADS_ON.match(statement.text) and not any(weighed[n:])
        if is_told and (leads_on or _READERS.fullmatch(statement.text)):
            return {s.line.number: "junk" for s in found[n:]}
    return {}


def below_its_trail(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines of a page above the dessert's name where the trail that leads there ends with it: "Home", "Baking", "Oat bars" and "Oat bars" again."""
    foods = next((n for n, s in enumerate(found) if begins_food(s.raw)), len(found))
    head = [(s.line.number, s.raw.strip(" *#=").lower()) for s in found[: min(foods, MOST_OF_A_FORM)]]
    for n, (number, name) in enumerate(head):
        again = next((m for m, (_, said) in enumerate(head[:n]) if said == name), None)
        if again is not None and len(name.split()) > 1 and re.fullmatch(r"[^\d:]*[^\W\d_]{3}[^\d:]*", name):
            return {**{line: "junk" for line, _ in head[:n]}, number: "title"}
    return {}


def below_its_name_again(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines of a page above the card of its recipe: what stands before the dessert's name comes a second time, over the list and its foods."""
    weighed = [told[s.text].has_food and told[s.text].has_unit for s in found]
    seen: set[str] = set()
    for n, statement in enumerate(found):
        name = statement.raw.strip(" *#=_").lower()
        if len(name.split()) < LEAST_OF_A_NAME or not ends_with_a_dessert(name) or re.search(r"[\d:]", name):
            continue
        if name not in seen:
            seen.add(name)
            continue
        lists = any(heading_kind(s.text) == "ingredients" for s in found[n + 1 : n + MOST_OF_A_FORM])
        if lists and sum(weighed[:n]) <= SOME_ABOVE and sum(weighed[n:]) >= LEAST_TOLD_FOODS:
            above = {s.line.number for s in found[:n]} - {statement.line.number}
            return {**dict.fromkeys(above, "junk"), statement.line.number: "title"}
    return {}


# A dessert's name that a page tells twice has so many words; above its second place stands hardly an amount of food [1] (judgement).
LEAST_OF_A_NAME, SOME_ABOVE = 2, 1


def named_fields(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines of a form that ask for the dessert's name, and the line below each that tells it: "Name" and "Carrot cake"; or the line that does both, and what stands over it."""
    for n, statement in enumerate(found[:MOST_OF_A_FORM]):
        if _NAMED.fullmatch(statement.text) and not any(begins_food(s.raw) for s in found[:n]):
            return {**{s.line.number: "junk" for s in found[:n]}, statement.line.number: "title"}
    for statement in found[MOST_OF_A_FORM // 2 :]:
        if _TITLED.fullmatch(statement.line.raw.strip()):
            return {statement.line.number: "title"}  # "TITLE : Lemon pie", below the list
    for asks, told in pairwise(found[:MOST_OF_A_FORM]):
        if _ASKS_A_NAME.fullmatch(asks.text.strip(" :")) and told.line.number > asks.line.number:
            return {asks.line.number: "junk", told.line.number: "title"}
    return {}


def table_heads(lines: Sequence[Physical]) -> dict[int, Role]:
    """Return the lines that name the columns of a table: above a row of rules, several cells and no number in them."""
    return {
        above.number: "junk"
        for above, rule in pairwise(lines)
        if len(rule.raw) <= LONGEST_RULE
        and _RULED.fullmatch(rule.raw.strip())
        and len([cell for cell in above.raw.split("|") if cell.strip()]) > 1
        and not re.search(r"\d", above.raw)
    }


def greetings(found: Sequence[Statement]) -> list[int]:
    """Return which statements begin or end a letter, and name nothing: "Dear all,"."""
    ends = {*range(len(found))[: 2 * MOST_HEAD_LINES], *range(len(found))[-LAST_LINES:]}
    return [n for n in sorted(ends) if _GREETS.fullmatch(found[n].raw.strip())]


# "From: gran", "To: me", over a letter
_OF_A_MAIL = re.compile(r"(?:from|to|cc|sent|date)\s*:\s*[^:]{1,60}", re.I)
# "On Sunday, Ruth wrote:"
_WROTE = re.compile(r"[>\s]*(?:on|am|le)\s+[^:]{2,60}\b(?:wrote|said|schrieb|a écrit)\s*:\s*", re.I)
# "Home › Cakes › Rhubarb"
_TRAIL = re.compile(r"[^\d›»]{2,60}(?:\s[›»]\s[^\d›»]{2,40}){2,6}")
# "Name of dish: Prune clafoutis"
_NAMED = re.compile(rf"{ASKS_THE_NAME}\s*[:=]\s*[^\W\d_][^:\d]{{3,60}}", re.I)
_TITLED = re.compile(r"title\s*[:=]\s*[A-Z][^:]{3,70}", re.I)
_ASKS_A_NAME = re.compile(rf"(?:name|title|{ASKS_THE_NAME})", re.I)
# What stands over the words of readers, whatever these weighed.
_READERS = re.compile(
    r"(?:(?:\d+|readers?[’']?|user|your|top|recent|latest)\s+)?(?:comments?|reviews?|replies|responses|what (?:readers|others|people) (?:say|said))(?:\s*\(\d+\))?\W*",
    re.I,
)
_LEADS_ON = re.compile(
    r"(?:you (?:may|might)(?: also)? (?:like|enjoy|love)|(?:related|more|similar|other|popular|latest) (?:recipes|posts|articles|from)\b|\d+ (?:responses|comments|replies|thoughts)\b|leave a (?:reply|comment)|(?:if|did|have) you(?:['’]ve)? (?:make|made|try|tried|bake|baked|cook|cooked) (?:this|it|these|them|one)\b|(?:related|read next|see also|tags?|filed under|categor(?:y|ies))\s*:|rated \d|(?:previous|next|older|newer) (?:post|recipe))",
    re.I,
)
# "|:---|---:|"
_RULED = re.compile(r"\|?(?:\s*:?-{2,}:?\s*\|)+\s*(?::?-{2,}:?)?")
LONGEST_RULE = 200
_GREETS = re.compile(
    r"(?:dear|hi|hello|hey|hallo|love|cheers|best|thanks|x+|xo(?:xo)?|with love|best wishes|kind regards|yours|see (?:you|ya)|speak soon|[A-Z][a-z]{0,12}(?=\s+x+\W*$))\b[^.!?:;\d]{0,24}[,!.x]*(?:\s+x+)?",
    re.I,
)
