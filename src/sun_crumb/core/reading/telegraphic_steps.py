"""Steps in a few words that a list may be taken for: a heat and a time, the oven first, what bears a mark of its own below the list."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Mapping, Sequence

from sun_crumb.core.reading.food_ends import first_word
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.oven_heat import TIMED
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.words import word_list

# So many foods are a list, and so many lines below it its steps [1].
LEAST_TOLD_FOODS, LEAST_BELOW = 3, 2


def telegraphic_steps(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines that are steps in a few words, by their numbers.

    Parameters
    ----------
    found
        What the lines of a text say, in order.
    told
        What the pantry says of each.
    """
    return {
        **_heat_and_time(found),
        **_marked_steps(found, told),
        **_oven_first(found),
        **_short_steps(found),
        **{s.line.number: "step" for s in found if _TO_BROWN.match(s.raw.strip())},
        **{s.line.number: "step" for s in found if _SO_LONG.search(s.text) and first_word(s.text) in word_list("verb")},
    }


def _oven_first(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines in small letters that begin with the oven's heat and go on: "oven 150, 120 once it's in"."""
    return {s.line.number: "step" for s in found if _OVEN_THEN.match(s.raw.strip())}


_OVEN_THEN = re.compile(r"oven\s+(?:on\s+)?(?:at\s+|to\s+)?\d{2,3}\b.*[a-z]{3}")


def _marked_steps(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines below a list that bear a mark, of their own or most before what is done, and begin with no amount: "- Marshmallows in, off the heat"."""
    marks = [(_MARK.match(s.raw) or [""])[0].strip() for s in found]
    foods = [n for n, s in enumerate(found) if told[s.text].has_food and told[s.text].has_amount]
    if len(foods) < LEAST_TOLD_FOODS:
        return {}
    after = [n for n in range(foods[-1] + 1, len(found)) if marks[n]]
    own = {marks[n] for n in after} - {marks[n] for n in range(foods[-1] + 1)}
    # From the first that tells what is done they are steps, whatever mark they bear: "• whisk all", "• chill", "• mango on top".
    done = [n for n in after if first_word(found[n].text) in word_list("verb") - word_list("deed_food")]
    is_told = 2 * len(done) > len(after)
    steps = [
        n for n in after if (marks[n] in own or (is_told and n >= done[0])) and not re.search(r"\d", found[n].text[:6])
    ]
    return {found[n].line.number: "step" for n in steps} if len(steps) >= LEAST_BELOW else {}


_MARK = re.compile(r"^\s*[^\w\s\"'“‘(\[½¼¾⅓⅔⅛#]{1,3}(?=\s*[^\W\d_])")


def _heat_and_time(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that begin with the oven's heat and how long, and say no more than that and the tin: "350 / 1 hr / loaf pan"."""
    several = Counter(s.line.number for s in found)
    return {
        s.line.number: "step"
        for s in found
        if several[s.line.number] == 1 and len(s.text) < SHORT_STEP and TIMED.match(s.text)
    }


def _short_steps(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that tell in a few words all that is done, up to the oven: "Mix, fill 18 cases, 20 min at 180"."""
    several = Counter(s.line.number for s in found)
    return {
        s.line.number: "step"
        for s in found
        if several[s.line.number] == 1
        and len(s.line.raw) < SHORT_STEP
        and _DONE_AT.search(s.text)
        and first_word(s.text) in word_list("verb")
    }


# No longer than this is a step in a few words [characters].
SHORT_STEP = 100
# "Mix, fill 18 cases, 20 min at 180"
_DONE_AT = re.compile(r"^[^\W\d_]+[, ].*\b\d{1,3}\s*min\w*\.?\s+at\s+\d{3}\b", re.I)
# "Mix, micro 70-90 secs"
_SO_LONG = re.compile(r"^[^\W\d_]+,\s[^\d]*\d+(?:\s*[-–]\s*\d+)?\s*sec(?:ond)?s?\b\W*$", re.I)
# "Brown the butter": no food of that colour
_TO_BROWN = re.compile(r"(?:Brown|Warm|Toast|Cool|Dry) (?:the|your)\b")
