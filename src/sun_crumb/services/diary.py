"""The diary: portions and slips in the order they were eaten, and their sums over days, people and recipes against the limits."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from typing import Any, Literal, get_args

from sqlalchemy import ColumnElement, Date, Float, Select, String, case, cast, func, literal, select
from sqlalchemy.orm import Session, joinedload

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.wish.goals import DEFINITIONS, Definition
from sun_crumb.services.bakes import column_of, label_of, sums_of
from sun_crumb.services.people import Someone, people_in
from sun_crumb.services.slips import SUGARS, Entry, of_slip
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, BakePortion, Recipe, Serving, Slip, Version

By = Literal["day", "week", "month", "person", "recipe", "time"]
MOST_DAYS = 3660
MOST_ENTRIES = 400
# Times of a day that habits are seen by [h].
TIMES = (("night", 0), ("morning", 5), ("midday", 11), ("afternoon", 14), ("evening", 18))


@dataclass(frozen=True, slots=True)
class Sum:
    """One row of a span: a day, a week, a person, a recipe. Sugar is of the definition that is counted [g]."""

    key: str
    name: str
    portions: float
    sugar_g: float
    slips_g: float
    energy_kcal: float
    saved_g: float
    saved_kcal: float
    smaller_g: float
    limit_g: float | None


@dataclass(frozen=True, slots=True)
class MoreOften:
    """A dessert that is eaten more often as a rework than it was as the original [portions and g of sugar a week]."""

    recipe_id: int
    title: str
    before_week: float
    after_week: float
    before_g: float
    after_g: float


@dataclass(frozen=True, slots=True)
class Span:
    """A span of days, summed: by what, in which definition, for whom; rows, the whole, and what is eaten more often than before."""

    since: date
    until: date
    by: str
    definition: str
    who: str
    rows: tuple[Sum, ...]
    total: Sum
    more_often: tuple[MoreOften, ...]


def _of_serving(row: Serving, definition: str) -> Entry:
    held, version = sums_of(row.portion, row.count), row.portion.bake.version
    return Entry(
        kind="portion",
        id=row.id,
        day=row.eaten_on,
        at=row.eaten_at,
        who=row.who,
        what=version.recipe.title,
        label=label_of(version, row.portion),
        count=row.count,
        grams=row.portion.portion_g * row.count,
        saved_g=held[f"saved_{definition}"],
        saved_kcal=held["saved_energy_kcal"],
        **{name: held[name] for name in ("energy_kcal", *SUGARS)},
    )


def entries(
    database: Database,
    since: date,
    until: date,
    who: str = "",
    definition: Definition = "free_sugars_who_g",
    start: int = 0,
    count: int = MOST_ENTRIES,
) -> list[Entry]:
    """Return what was eaten from *since* to *until*, the last day first, each day in the order that it was eaten."""
    check_span(since, until)
    require_choice(definition, DEFINITIONS, "definition")
    with database.reading() as session:
        of_whom = [Serving.who == who] if who else []
        servings = session.scalars(
            select(Serving)
            .where(Serving.deleted_at.is_(None), Serving.eaten_on.between(since, until), *of_whom)
            .options(
                joinedload(Serving.portion)
                .joinedload(BakePortion.bake)
                .joinedload(Bake.version)
                .joinedload(Version.recipe)
            )
            .order_by(Serving.eaten_on.desc(), Serving.id.desc())
            .limit(start + count)
        ).all()
        slips = session.scalars(
            select(Slip)
            .where(Slip.deleted_at.is_(None), Slip.eaten_on.between(since, until), *([Slip.who == who] if who else []))
            .order_by(Slip.eaten_on.desc(), Slip.id.desc())
            .limit(start + count)
        ).all()
    found = [_of_serving(row, definition) for row in servings] + [of_slip(row) for row in slips]
    found.sort(key=lambda one: (-one.day.toordinal(), 24 * 60 if one.at is None else one.at, one.kind, one.id))
    return found[start : start + count]


def span(
    database: Database,
    since: date,
    until: date,
    by: By = "day",
    definition: Definition = "free_sugars_who_g",
    who: str = "",
) -> Span:
    """Return a span of days summed by day, week, month, person, recipe or time of day.

    Saved is always at the same portion mass; ``smaller_g`` is what slices smaller than the original's saved beside that.
    """
    check_span(since, until)
    require_choice(by, get_args(By), "by")
    require_choice(definition, DEFINITIONS, "definition")
    today = database.clock.today()
    with database.reading() as session:
        persons = people_in(session)
        # A limit counts on the days that a diary was kept: not before its first entry, not after today.
        noted = _first_noted(session)
        kept = (max(since, noted), min(until, today)) if noted else (since, until)
        rows: dict[str, list[float]] = {}
        names: dict[str, str] = {}
        for key, name, *values in session.execute(_portions(by, definition, since, until, who)):
            rows.setdefault(str(key), [0.0] * 7)
            names[str(key)] = str(name)
            rows[str(key)] = [a + b for a, b in zip(rows[str(key)], [*values, 0.0], strict=True)]
        for key, name, sugar, energy in session.execute(_slips(by, definition, since, until, who)):
            names.setdefault(str(key), str(name))
            rows.setdefault(str(key), [0.0] * 7)
            rows[str(key)][1] += sugar
            rows[str(key)][2] += energy
            rows[str(key)][6] += sugar
        often = _more_often(session, since, until, definition, who) if by == "recipe" else ()
    found = tuple(
        _sum(key, _named(by, key, names[key]), values, _limit(by, key, who, persons, *kept))
        for key, values in sorted(rows.items())
    )
    whole = [sum(values[n] for values in rows.values()) for n in range(7)]
    days = max((kept[1] - kept[0]).days + 1, 0)
    return Span(
        since, until, by, definition, who, found, _sum("", "all", whole, _times(_one_day(who, persons), days)), often
    )


def _sum(key: str, name: str, values: Sequence[float], limit: float | None) -> Sum:
    portions, sugar, energy, saved, saved_kcal, smaller, slips = values
    return Sum(key, name, portions, sugar, slips, energy, saved, saved_kcal, smaller, limit)


def _portions(by: By, definition: str, since: date, until: date, who: str) -> Select[Any]:
    """Return the sums of portions: those of one bake and day first, so that what a portion holds is looked up once for all of them."""
    raw = {"person": Serving.who, "time": Serving.eaten_at, "recipe": literal("")}.get(by, Serving.eaten_on)
    eaten = (
        select(Serving.portion_id, raw.label("raw"), func.sum(Serving.count).label("count"))
        .where(
            Serving.deleted_at.is_(None), Serving.eaten_on.between(since, until), *([Serving.who == who] if who else [])
        )
        .group_by(Serving.portion_id, raw)
        .subquery()
    )
    key, name, is_recipe = _key(by, eaten.c.raw, eaten.c.raw, eaten.c.raw)
    sugar, saved = column_of(definition), column_of(f"saved_{definition}")
    a_gram = (sugar + saved) / BakePortion.portion_g
    smaller = (func.coalesce(BakePortion.original_g, BakePortion.portion_g) - BakePortion.portion_g) * a_gram
    query = select(
        key,
        name,
        func.sum(eaten.c.count),
        func.sum(sugar * eaten.c.count),
        func.sum(BakePortion.energy_kcal * eaten.c.count),
        func.sum(saved * eaten.c.count),
        func.sum(BakePortion.saved_energy_kcal * eaten.c.count),
        func.sum(smaller * eaten.c.count),
    ).join(BakePortion, eaten.c.portion_id == BakePortion.id)
    if is_recipe:
        query = (
            query.join(Bake, BakePortion.bake_id == Bake.id)
            .join(Version, Bake.version_id == Version.id)
            .join(Recipe, Version.recipe_id == Recipe.id)
        )
    return query.group_by(key)


def _slips(by: By, definition: str, since: date, until: date, who: str) -> Select[Any]:
    key, name, is_recipe = _key(by, Slip.eaten_on, Slip.eaten_at, Slip.who)
    if is_recipe:
        key, name = literal("slips"), literal("slips and bought things")
    query = select(key, name, func.sum(getattr(Slip, definition)), func.sum(Slip.energy_kcal)).where(
        Slip.deleted_at.is_(None), Slip.eaten_on.between(since, until)
    )
    return (query.where(Slip.who == who) if who else query).group_by(key)


def _key(by: By, day: Any, at: Any, who: Any) -> tuple[ColumnElement[Any], ColumnElement[Any], bool]:
    """Return what rows are grouped by, and their name, as SQL; and whether that is a recipe."""
    match by:
        case "day":
            return day, day, False
        case "week":
            # The Monday of it.
            monday = func.date(day, "weekday 0", "-6 days")
            return monday, monday, False
        case "month":
            month = func.substr(day, 1, 7)
            return month, month, False
        case "person":
            return who, who, False
        case "recipe":
            return cast(Recipe.id, String), cast(Recipe.title, String), True
        case "time":
            when = case(
                (at.is_(None), "9"),
                *((cast(at, Float) >= 60 * hour, str(n)) for n, (_, hour) in reversed(list(enumerate(TIMES)))),
                else_="9",
            )
            return when, when, False


def _named(by: By, key: str, name: str) -> str:
    if by == "time":
        return TIMES[int(key)][0] if key != "9" else "no time told"
    if by == "person":
        return key or "nobody named"
    return name


def _limit(by: By, key: str, who: str, persons: Sequence[Someone], since: date, until: date) -> float | None:
    """Return the limit of a row [g]: of one person, or of all of the household together, over the row's days within the span."""
    match by:
        case "day":
            return _one_day(who, persons)
        case "week":
            monday = date.fromisoformat(key)
            return _times(_one_day(who, persons), _within(monday, monday + timedelta(days=6), since, until))
        case "month":
            first = date.fromisoformat(f"{key}-01")
            last = (first + timedelta(days=32)).replace(day=1) - timedelta(days=1)
            return _times(_one_day(who, persons), _within(first, last, since, until))
        case "person":
            return _times(_one_day(key, persons), max((until - since).days + 1, 0)) if key else None
        case _:
            return None


def _within(first: date, last: date, since: date, until: date) -> int:
    return max((min(last, until) - max(first, since)).days + 1, 0)


def _first_noted(session: Session) -> date | None:
    """Return the first day that anything was noted on."""
    days = [
        session.scalar(select(func.min(Serving.eaten_on)).where(Serving.deleted_at.is_(None))),
        session.scalar(select(func.min(Slip.eaten_on)).where(Slip.deleted_at.is_(None))),
    ]
    return min((day for day in days if day is not None), default=None)


def _one_day(who: str, persons: Sequence[Someone]) -> float | None:
    """Return a day's limit of a person, or of all named people together [g]; None where nobody is named so."""
    meant = [one for one in persons if not who or one.name == who]
    return sum(one.limit.grams for one in meant) if meant else None


def _times(limit: float | None, days: int) -> float | None:
    return None if limit is None else limit * days


def _more_often(session: Session, since: date, until: date, definition: str, who: str) -> tuple[MoreOften, ...]:
    """Return the desserts of which more is eaten a week as reworks than as the original, over the days from the first of each to the last."""
    is_original = (Version.number == 1).label("is_original")
    eaten = (
        select(
            Serving.portion_id,
            func.sum(Serving.count).label("count"),
            func.min(Serving.eaten_on).label("first"),
            func.max(Serving.eaten_on).label("last"),
        )
        .where(Serving.deleted_at.is_(None), Serving.eaten_on <= until, *([Serving.who == who] if who else []))
        .group_by(Serving.portion_id)
        .subquery()
    )
    query = (
        select(
            Recipe.id, Recipe.title, is_original, func.sum(eaten.c.count), func.sum(column_of(definition) * eaten.c.count),
            func.min(eaten.c.first, type_=Date), func.max(eaten.c.last, type_=Date),
        )
        .select_from(eaten)
        .join(BakePortion, eaten.c.portion_id == BakePortion.id)
        .join(Bake, BakePortion.bake_id == Bake.id)
        .join(Version, Bake.version_id == Version.id)
        .join(Recipe, Version.recipe_id == Recipe.id)
        .group_by(Recipe.id, is_original)
    )  # fmt: skip
    found: dict[int, dict[bool, tuple[str, float, float, float]]] = {}
    for recipe_id, title, original, portions, sugar, first, last in session.execute(query):
        # A span is at least two weeks: three slices on one day are no habit.
        weeks = max((last - first).days + 1, 14) / 7
        if last >= since or original:
            found.setdefault(recipe_id, {})[bool(original)] = (title, portions / weeks, sugar / weeks, portions)
    return tuple(
        MoreOften(recipe_id, both[True][0], both[True][1], both[False][1], both[True][2], both[False][2])
        for recipe_id, both in found.items()
        if len(both) == 2 and both[False][1] > MORE * both[True][1] and both[False][3] >= LEAST_EATEN
    )


# So many times as many portions a week count as more, from so many portions on (judgement).
MORE, LEAST_EATEN = 1.15, 4


def check_span(since: date, until: date) -> None:
    """Raise OutOfDomainError where two days are no span of a diary."""
    if since > until:
        raise OutOfDomainError("the first day lies after the last", field="since")
    if (until - since).days > MOST_DAYS:
        raise OutOfDomainError(f"at most {MOST_DAYS} days at once", field="since")
