"""Tests of whether two bakes are told apart, and how likely guessing is to do as well."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date

from sqlalchemy import select

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.tasting.guessing import CHANCE, Guessed, guessed
from sun_crumb.services.bakes import bake_in
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note
from sun_crumb.store import Database
from sun_crumb.store.tables import Trial


@dataclass(frozen=True, slots=True)
class ToldApart:
    """A test of two bakes, with how likely guessing is to do as well."""

    id: int
    bake_id: int
    other_id: int
    tried_on: date
    result: Guessed


def note_test(
    database: Database,
    bake_id: int,
    other_id: int,
    test: str,
    tries: int,
    right: int,
    tried_on: date,
    client_key: str | None = None,
) -> ToldApart:
    """Keep the outcome of a triangle, a pair or a preference between two bakes."""
    if test not in CHANCE:
        raise OutOfDomainError(f"{test!r} is no test: triangle, pair or preference", field="test")
    if bake_id == other_id:
        raise OutOfDomainError("a bake is told apart from another one", field="other_id")
    guessed(test, tries, right)
    content = [bake_id, other_id, test, tries, right, tried_on.isoformat()]
    with database.transaction() as session:
        if made := made_before(session, client_key, "test", content):
            return _told_apart(session.get_one(Trial, made[0]))
        bake_in(session, bake_id), bake_in(session, other_id)
        row = Trial(
            bake_id=bake_id,
            other_id=other_id,
            test=test,
            tries=tries,
            right=right,
            tried_on=tried_on,
            created_at=now(session),
        )
        session.add(row)
        session.flush()
        note(session, client_key, "test", content, [row.id])
        return _told_apart(row)


def tests_of(database: Database, bake_id: int) -> tuple[ToldApart, ...]:
    """Return the tests that a bake was in."""
    with database.reading() as session:
        rows = session.scalars(
            select(Trial).where((Trial.bake_id == bake_id) | (Trial.other_id == bake_id)).order_by(Trial.id)
        )
        return tuple(_told_apart(row) for row in rows)


def _told_apart(row: Trial) -> ToldApart:
    return ToldApart(row.id, row.bake_id, row.other_id, row.tried_on, guessed(row.test, row.tries, row.right))  # type: ignore[arg-type]
