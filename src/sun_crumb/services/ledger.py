"""Portions eaten, and what they saved."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
from math import isfinite

from sqlalchemy import func, select
from sqlalchemy.orm import Session, joinedload

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.services.bakes import SUMS, BakedPortion, Sums, baked_portion, column_of, label_of, sums_of
from sun_crumb.services.clock import now, past_day
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, BakePortion, Recipe, Serving, Version

MOST_EATEN = 100.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Eaten(Sums):
    """Portions eaten, and what all of them together hold."""

    id: int
    bake_id: int
    title: str
    label: str
    unit: str
    eaten_on: date
    count: float
    who: str
    eaten_at: int | None


@dataclass(frozen=True, slots=True, kw_only=True)
class EatenTotal(Sums):
    """How many portions were eaten, and what they hold."""

    servings: float


@dataclass(frozen=True, slots=True, kw_only=True)
class EatenDay(EatenTotal):
    """What was eaten on one day."""

    day: date


@dataclass(frozen=True, slots=True)
class Days:
    """The days of a span on which something was eaten, and the bakes to log from."""

    since: date
    until: date
    days: tuple[EatenDay, ...]
    total: EatenTotal
    servings: tuple[Eaten, ...]
    bakes: tuple[BakedPortion, ...]


def eat(
    database: Database,
    portion_id: int,
    eaten_on: date,
    count: float,
    who: str = "",
    client_key: str | None = None,
    eaten_at: int | None = None,
) -> Eaten:
    """Note portions eaten, at a minute of the day where that is said, and return them. The same *client_key* again returns the first note."""
    if not isfinite(count) or not 0 < count <= MOST_EATEN:
        raise OutOfDomainError(
            f"{count:g} portions can't be eaten; give more than 0 and at most {MOST_EATEN:g}", field="count"
        )
    content = [portion_id, eaten_on.isoformat(), count, who, *([eaten_at] if eaten_at is not None else [])]
    with database.transaction() as session:
        if made := made_before(session, client_key, "serving", content):
            found = session.get(Serving, made[0])
            if found is None or found.deleted_at is not None:
                raise taken_away("note")
            return _eaten(found)
        past_day(session, eaten_on, "eaten_on")
        portion = session.get(BakePortion, portion_id)
        if portion is None or portion.bake.deleted_at is not None:
            raise NotFoundError(f"no bake {portion_id}", field="bake_id")
        if eaten_on < portion.bake.baked_on:
            raise OutOfDomainError(
                f"it was baked on {portion.bake.baked_on.isoformat()}, it can't have been eaten before",
                field="eaten_on",
            )
        row = Serving(
            portion_id=portion_id,
            eaten_on=eaten_on,
            count=count,
            who=who.strip(),
            eaten_at=eaten_at,
            created_at=now(session),
        )
        session.add(row)
        session.flush()
        note(session, client_key, "serving", content, [row.id])
        return _eaten(row)


def remove_serving(database: Database, serving_id: int) -> None:
    """Take back portions noted by mistake; restore_serving undoes it."""
    with database.transaction() as session:
        _serving(session, serving_id).deleted_at = now(session)


def restore_serving(database: Database, serving_id: int) -> Eaten:
    """Bring back portions that were taken back."""
    with database.transaction() as session:
        row = _serving(session, serving_id)
        row.deleted_at = None
        return _eaten(row)


def ledger(database: Database, since: date, until: date) -> Days:
    """Return the days from *since* to *until*, what was eaten and what it saved, and the bakes to log from."""
    if since > until:
        raise OutOfDomainError("the first day lies after the last", field="since")
    with database.reading() as session:
        columns = [func.sum(column_of(name) * Serving.count).label(name) for name in SUMS]
        rows = session.execute(
            select(Serving.eaten_on, func.sum(Serving.count).label("servings"), *columns)
            .join(BakePortion, Serving.portion_id == BakePortion.id)
            .where(Serving.deleted_at.is_(None), Serving.eaten_on.between(since, until))
            .group_by(Serving.eaten_on)
            .order_by(Serving.eaten_on)
        ).all()
        days = tuple(
            EatenDay(day=row.eaten_on, servings=row.servings, **{name: getattr(row, name) for name in SUMS})
            for row in rows
        )
        eaten = session.scalars(
            select(Serving)
            .where(Serving.deleted_at.is_(None), Serving.eaten_on.between(since, until))
            .options(
                joinedload(Serving.portion)
                .joinedload(BakePortion.bake)
                .joinedload(Bake.version)
                .joinedload(Version.recipe)
            )
            .order_by(Serving.eaten_on.desc(), Serving.id.desc())
            .limit(60)
        ).all()
        bakes = session.scalars(
            select(BakePortion)
            .join(Bake, BakePortion.bake_id == Bake.id)
            .join(Version, Bake.version_id == Version.id)
            .join(Recipe, Version.recipe_id == Recipe.id)
            .where(Recipe.deleted_at.is_(None), Bake.deleted_at.is_(None))
            .options(joinedload(BakePortion.bake).joinedload(Bake.version).joinedload(Version.recipe))
            .order_by(Bake.baked_on.desc(), BakePortion.id.desc())
            .limit(20)
        ).all()
        return Days(
            since,
            until,
            days,
            EatenTotal(**{name: sum(getattr(day, name) for day in days) for name in ("servings", *SUMS)}),
            tuple(_eaten(row) for row in eaten),
            tuple(baked_portion(session, row) for row in bakes),
        )


def _serving(session: Session, serving_id: int) -> Serving:
    row = session.get(Serving, serving_id)
    if row is None:
        raise NotFoundError(f"no serving {serving_id}", field="id")
    return row


def _eaten(row: Serving) -> Eaten:
    portion, version = row.portion, row.portion.bake.version
    return Eaten(
        id=row.id,
        bake_id=row.portion_id,
        title=version.recipe.title,
        label=label_of(version, portion),
        unit=version.unit,
        eaten_on=row.eaten_on,
        count=row.count,
        who=row.who,
        eaten_at=row.eaten_at,
        **sums_of(portion, row.count),
    )
