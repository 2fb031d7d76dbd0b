"""People and their limits, the diary and its sums, challenges."""

from __future__ import annotations

from datetime import date

from sun_crumb.api.schemas.base import Out, To1, To2
from sun_crumb.api.schemas.choices import NamedOut


class DayLimitOut(Out):
    grams: To1
    authority: str
    name: str
    definition: str
    words: str
    source: str


class PersonOut(Out):
    id: int
    name: str
    age: str
    authority: str
    energy_kcal: float | None
    own_limit_g: float | None
    diets: list[str]
    eaters: list[str]
    is_at_table: bool
    limit: DayLimitOut


class AtTableOut(Out):
    diets: list[str]
    eaters: list[str]


class PeopleOut(Out):
    """The household's people, what those at the table need together, and what can be chosen."""

    people: list[PersonOut]
    at_table: AtTableOut
    ages: list[NamedOut]
    authorities: list[NamedOut]
    eaters: list[NamedOut]


class EntryOut(Out):
    kind: str
    id: int
    day: date
    at: int | None
    who: str
    what: str
    label: str
    count: float
    grams: To1
    energy_kcal: To1
    total_sugars_g: To2
    refined_sugar_g: To2
    added_sugars_us_g: To2
    free_sugars_who_g: To2
    free_sugars_uk_g: To2
    saved_g: To2
    saved_kcal: To1


class DiaryOut(Out):
    entries: list[EntryOut]


class LedgerSumOut(Out):
    key: str
    name: str
    portions: To2
    sugar_g: To2
    slips_g: To2
    energy_kcal: To1
    saved_g: To2
    saved_kcal: To1
    smaller_g: To2
    limit_g: To1 | None


class MoreOftenOut(Out):
    recipe_id: int
    title: str
    before_week: To2
    after_week: To2
    before_g: To2
    after_g: To2


class SpanOut(Out):
    since: date
    until: date
    by: str
    definition: str
    who: str
    rows: list[LedgerSumOut]
    total: LedgerSumOut
    more_often: list[MoreOftenOut]


class IntervalOut(Out):
    """A figure, and between what it lies nine times in ten."""

    value: To2
    low: To2
    high: To2


class UsualSlipOut(Out):
    key: str
    name: str
    grams: To1
    energy_kcal: To1
    sugars_g: To1
    kind: str


class UsualSlipsOut(Out):
    slips: list[UsualSlipOut]
    kinds: list[NamedOut]


class ChallengeOut(Out):
    id: int
    name: str
    who: str
    since: date
    until: date
    days_so_far: int
    days_to_go: int
    clear_days: int
    slips: list[EntryOut]
    words: str


class ChallengesOut(Out):
    challenges: list[ChallengeOut]


class BroughtOut(Out):
    """How many rows of a diary file came in, and how many were there already."""

    added: int
    known: int
