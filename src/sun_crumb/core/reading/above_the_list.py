"""Lines between a dessert's name and its list that hold a number and no food: "Week 12", "12 scones (6 cm cutter)", "5 ingredients, 10 minutes"."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Mapping, Sequence

from sun_crumb.core.reading.counts import NUMBER, read_count, value_of
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.portion_asides import bare_count, said_in
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Role


def above_the_list(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines of so few words below a text's first one, and above an empty line and its list, that bear a number and nothing of a food, by their numbers.

    What counts pieces or eaters is of portions, else nothing of the recipe: what measures something unknown is left, to be asked about.
    """
    first = next((n for n, s in enumerate(found) if _is_listed(told[s.text]) and not _is_counted(s.text)), len(found))
    above = found[1:first]
    if not found or first >= len(found) - 1 or not found[first].line.gap:
        return {}
    # Below a heading a list has begun, of whatever kind.
    begun = next((n for n, s in enumerate(above) if s.line.raw.rstrip().endswith(":")), len(above))
    parts = Counter(s.line.number for s in found)
    lines: dict[int, Role] = {}
    for statement in above[:begun]:
        known = told[statement.text]
        said = statement.text.strip()
        is_short = len(said.split()) <= MOST_WORDS and parts[statement.line.number] == 1
        is_several = any(value_of(number)[1] > 1 for number in NUMBER.finditer(said))
        if not is_short or not is_several or _DONE.search(said):
            continue
        if _is_counted(said):
            lines[statement.line.number] = "portions"  # "2 loaves of 10 slices"
        elif not known.has_food and _counts(said):
            lines[statement.line.number] = "portions"
        elif not known.has_food and not known.has_unit:
            lines[statement.line.number] = "junk"
    return lines


def _is_listed(known: Known) -> bool:
    return known.has_food and known.has_amount


def _is_counted(said: str) -> bool:
    """Return whether a line holds a number of pieces or eaters and no more."""
    alone = bare_count(said)
    return alone is not None and alone.count is not None and alone.count.kind in ("piece", "person")


def _counts(said: str) -> bool:
    """Return whether a line begins with, or introduces, a number of pieces or eaters."""
    count = read_count(_BRACKETS.sub(" ", said))
    told = said_in(said)
    return (
        bool(statements(said))
        or (told is not None and told.count is not None)
        or (count is not None and count.kind in ("piece", "person"))
    )


# So many words at most have lines of this kind (judgement).
MOST_WORDS = 8
_BRACKETS = re.compile(r"\([^()]*\)")
_DONE = re.compile(r"[.;]\s+\S|\b(?:oven|bake|preheat|heat|gas|°)|\d\s*°|\d{3}\s?[CF]\b", re.I)
