"""Lines between a dessert's name and its list that hold a number and no food: "Week 12", "12 scones (6 cm cutter)", "5 ingredients, 10 minutes"."""

from __future__ import annotations

import itertools
import re
from collections import Counter
from collections.abc import Mapping, Sequence

from sun_crumb.core.reading.counts import NUMBER, read_count, value_of
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.portion_asides import bare_count, said_in
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.portion_net import so_many_near
from sun_crumb.core.reading.records import Role


def above_the_list(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines of so few words below a text's first one, and above an empty line and its list, that bear a number and nothing of a food, by their numbers.

    What counts pieces or eaters is of portions, else nothing of the recipe: what measures something unknown is left, to be asked about.
    """
    begins = _where_the_list_begins(found, told)
    above = [s for s in found[1:begins] if s.line.number != found[0].line.number]
    # Below a heading a list has begun, of whatever kind.
    begun = next((n for n, s in enumerate(above) if s.line.raw.rstrip().endswith(":")), len(above))
    parts = Counter(s.line.number for s in found)
    several: dict[int, list[Statement]] = {}
    lines: dict[int, Role] = {}
    for statement in above[:begun]:
        known = told[statement.text]
        said = statement.text.strip()
        if parts[statement.line.number] > 1:
            whole = statement.line.raw.strip(" *#_=")
            # "24 halves / 12 filled", "One loaf. We get 11 slices."
            if (
                not (known.has_food and known.has_unit)
                and not known.food
                and len(whole.split()) <= MOST_WORDS
                and _counts(whole)
            ):
                several.setdefault(statement.line.number, []).append(statement)
            continue
        if _BARE.fullmatch(said):
            lines[statement.line.number] = "portions"  # "24", alone
            continue
        is_short = len(said.split()) <= MOST_WORDS
        is_several = any(value_of(number)[1] > 1 for number in NUMBER.finditer(said))
        if not is_short or not is_several or _DONE.search(said):
            continue
        if _is_counted(said):
            lines[statement.line.number] = "portions"  # "2 loaves of 10 slices"
        elif (not known.has_food and _counts(said)) or (not known.food and not known.has_unit and _speaks(said)):
            lines[statement.line.number] = "portions"
        elif not known.has_food and not known.has_unit:
            lines[statement.line.number] = "junk"
    return {**lines, **{line: "portions" for line, counted in several.items() if len(counted) == parts[line]}}


def _where_the_list_begins(found: Sequence[Statement], told: Mapping[str, Known]) -> int:
    """Return where the first block between empty lines begins that lists two foods, each on a line of its own; 0 where none does below the first."""
    blocks = [0, *(n for n, s in enumerate(found) if n and s.line.gap and s.line.number != found[n - 1].line.number)]
    for begin, end in itertools.pairwise([*blocks, len(found)]):
        listed = (s.line.number for s in found[begin:end] if _is_listed(told[s.text]) and not _is_counted(s.text))
        # No more than two of them are looked at.
        if sum(1 for _ in itertools.islice(itertools.groupby(listed), LEAST_LISTED)) >= LEAST_LISTED:
            return begin
    return 0


LEAST_LISTED = 2


def _is_listed(known: Known) -> bool:
    return known.has_food and known.has_amount


def _is_counted(said: str) -> bool:
    """Return whether a line holds a number of pieces or eaters and no more."""
    alone = bare_count(said)
    return alone is not None and alone.count is not None and alone.count.kind in ("piece", "person")


def _counts(said: str) -> bool:
    """Return whether a line begins with, or introduces, a number of pieces or eaters."""
    count = read_count(_BRACKETS.sub(" ", said))
    return _speaks(said) or (count is not None and count.kind in ("piece", "person"))


def _speaks(said: str) -> bool:
    """Return whether a line has words that speak of portions beside its number."""
    told = said_in(said) or so_many_near(said)
    return bool(statements(said)) or (told is not None and told.count is not None)


# So many words at most have lines of this kind (judgement).
MOST_WORDS = 8
_BARE = re.compile(r"\W*(?:[4-9]|[1-6]\d)\W*")
_BRACKETS = re.compile(r"\([^()]*\)")
_DONE = re.compile(r"[.;]\s+\S|\b(?:oven|bake|preheat|heat|gas)|\d\s*°|\d{3}\s?[CF]\b", re.I)
