"""Bakes, portions eaten, and what they saved."""

from __future__ import annotations

from dataclasses import dataclass, fields
from datetime import date
from math import isfinite

from sqlalchemy import func, select
from sqlalchemy.orm import Session, joinedload

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import PortionKind, Totals, portion_totals
from sun_crumb.core.kitchen.weighing import as_weighed
from sun_crumb.core.sugars.savings import Savings, savings
from sun_crumb.services.bowl import true_weights
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.soundness import original_of, portion_kinds, sound_version
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, BakePortion, Recipe, Serving, Version

MOST_EATEN = 100.0


@dataclass(frozen=True, slots=True)
class Sums:
    """What portions hold and save: energy [kcal], sugars [g]."""

    energy_kcal: float
    total_sugars_g: float
    free_sugars_who_g: float
    saved_energy_kcal: float
    saved_total_sugars_g: float
    saved_free_sugars_who_g: float


SUMS = tuple(field.name for field in fields(Sums))


@dataclass(frozen=True, slots=True, kw_only=True)
class BakedPortion(Sums):
    """One kind of portion of a bake and what one of it holds; those of one bake have the same ``event_id``."""

    id: int
    event_id: int
    recipe_id: int
    version_id: int
    title: str
    label: str
    unit: str
    baked_on: date
    servings: int
    eaten: float
    portion_g: float


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


def bake(database: Database, version_id: int, baked_on: date, client_key: str | None = None) -> list[BakedPortion]:
    """Note that a version was baked and return its portions, one entry for each kind of portion.

    The same *client_key* again returns the first ones.
    """
    content = [version_id, baked_on.isoformat()]
    with database.transaction() as session:
        if made := made_before(session, client_key, "bake", content):
            found = session.scalars(select(BakePortion).where(BakePortion.id.in_(made)).order_by(BakePortion.id)).all()
            if not found:
                raise taken_away("bake")
            return [_baked_portion(session, row) for row in found]
        version = session.get(Version, version_id)
        if version is None or version.recipe.deleted_at is not None:
            raise NotFoundError(f"no version {version_id}", field="version_id")
        pantry = pantry_in(session)
        formula = sound_version(version.recipe, version, pantry)
        original = sound_version(version.recipe, original_of(version.recipe), pantry)
        kinds = portion_kinds(version) or [PortionKind("", formula.servings, formula.components)]
        # What was weighed at the worktop is what was baked.
        weights = true_weights(session, version.recipe_id, version.id, baked_on, database)
        formula = as_weighed(formula, weights)
        before, after = portion_totals(original, kinds), portion_totals(formula, kinds)
        baked = Bake(
            version_id=version.id,
            baked_on=baked_on,
            weights={str(k): v for k, v in weights.items()} or None,
            created_at=now(session),
        )
        baked.portions = [
            _portion_row(kind, after[kind.name], savings(before[kind.name], after[kind.name], 1)) for kind in kinds
        ]
        session.add(baked)
        session.flush()
        note(session, client_key, "bake", content, [row.id for row in baked.portions])
        return [_baked_portion(session, row) for row in baked.portions]


def _portion_row(kind: PortionKind, one: Totals, saved: Savings) -> BakePortion:
    return BakePortion(
        kind=kind.name,
        servings=kind.count,
        portion_g=one.mass_g,
        energy_kcal=one.energy_kcal,
        total_sugars_g=one.total_sugars_g,
        free_sugars_who_g=one.free_sugars_who_g,
        saved_energy_kcal=saved.energy_kcal,
        saved_total_sugars_g=saved.total_sugars_g,
        saved_free_sugars_who_g=saved.free_sugars_who_g,
    )


def eat(
    database: Database, portion_id: int, eaten_on: date, count: float, who: str = "", client_key: str | None = None
) -> Eaten:
    """Note portions eaten and return them. The same *client_key* again returns the first note."""
    if not isfinite(count) or not 0 < count <= MOST_EATEN:
        raise OutOfDomainError(
            f"{count:g} portions can't be eaten; give more than 0 and at most {MOST_EATEN:g}", field="count"
        )
    content = [portion_id, eaten_on.isoformat(), count, who]
    with database.transaction() as session:
        if made := made_before(session, client_key, "serving", content):
            found = session.get(Serving, made[0])
            if found is None or found.deleted_at is not None:
                raise taken_away("note")
            return _eaten(found)
        portion = session.get(BakePortion, portion_id)
        if portion is None:
            raise NotFoundError(f"no bake {portion_id}", field="bake_id")
        if eaten_on < portion.bake.baked_on:
            raise OutOfDomainError(
                f"it was baked on {portion.bake.baked_on.isoformat()}, it can't have been eaten before",
                field="eaten_on",
            )
        row = Serving(portion_id=portion_id, eaten_on=eaten_on, count=count, who=who.strip(), created_at=now(session))
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
        columns = [func.sum(getattr(BakePortion, name) * Serving.count).label(name) for name in SUMS]
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
            .where(Recipe.deleted_at.is_(None))
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
            tuple(_baked_portion(session, row) for row in bakes),
        )


def _serving(session: Session, serving_id: int) -> Serving:
    row = session.get(Serving, serving_id)
    if row is None:
        raise NotFoundError(f"no serving {serving_id}", field="id")
    return row


def _baked_portion(session: Session, row: BakePortion) -> BakedPortion:
    baked = row.bake
    version = baked.version or session.get_one(Version, baked.version_id)
    eaten = session.scalar(
        select(func.coalesce(func.sum(Serving.count), 0.0)).where(
            Serving.portion_id == row.id, Serving.deleted_at.is_(None)
        )
    )
    return BakedPortion(
        id=row.id,
        event_id=baked.id,
        recipe_id=version.recipe_id,
        version_id=version.id,
        title=version.recipe.title,
        label=_label(version, row),
        unit=version.unit,
        baked_on=baked.baked_on,
        servings=row.servings,
        eaten=eaten or 0.0,
        portion_g=row.portion_g,
        **{name: getattr(row, name) for name in SUMS},
    )


def _label(version: Version, row: BakePortion) -> str:
    return f"{version.label}, {row.kind}" if row.kind else version.label


def _eaten(row: Serving) -> Eaten:
    portion, version = row.portion, row.portion.bake.version
    return Eaten(
        id=row.id,
        bake_id=row.portion_id,
        title=version.recipe.title,
        label=_label(version, portion),
        unit=version.unit,
        eaten_on=row.eaten_on,
        count=row.count,
        who=row.who,
        **{name: getattr(portion, name) * row.count for name in SUMS},
    )
