"""Timers at the worktop: kept by when they end."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime, timedelta

from sqlalchemy import select
from sqlalchemy.orm import Session

from sun_crumb.schemas.worktop import TimerIn
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.store import Database
from sun_crumb.store.tables import Recipe, Timer, Version

# A timer that rang and nobody stopped is forgotten after so long.
KEPT = timedelta(hours=12)


@dataclass(frozen=True, slots=True)
class Running:
    """A timer and what is left of it [s], negative once it rang; one that repeats has rung so often and is never over."""

    id: int
    name: str
    seconds: int
    repeats: bool
    rung: int
    left_s: float
    recipe_id: int | None
    version_id: int | None
    step: int | None


def running(database: Database) -> list[Running]:
    """Return the timers that run or ring, the first to ring first."""
    at = database.clock.now()
    with database.reading() as session:
        rows = session.scalars(
            select(Timer).where(Timer.stopped_at.is_(None), Timer.ends_at > at - KEPT).order_by(Timer.ends_at, Timer.id)
        )
        return sorted((_told(row, at) for row in rows), key=lambda one: (one.left_s, one.id))


def start(database: Database, body: TimerIn) -> Running:
    """Start a timer; a retry of the same request starts none more.

    Raises
    ------
    NotFoundError
        Its recipe or version is not there.
    """
    content = [body.name, body.seconds, body.recipe_id, body.version_id, body.step]
    content += [True] if body.repeats else []
    with database.transaction() as session:
        at = now(session)
        if made := made_before(session, body.client_key, "timer", content):
            row = session.get(Timer, made[0])
            if row is None:
                raise taken_away("timer")
            return _told(row, at)
        for kind, key in ((Recipe, body.recipe_id), (Version, body.version_id)):
            if key is not None and session.get(kind, key) is None:
                raise NotFoundError(f"there is no such {kind.__name__.lower()}", field=f"{kind.__name__.lower()}_id")
        row = Timer(
            name=body.name,
            seconds=body.seconds,
            repeats=body.repeats,
            recipe_id=body.recipe_id,
            version_id=body.version_id,
            step=body.step,
            ends_at=at + timedelta(seconds=body.seconds),
            created_at=at,
        )
        session.add(row)
        session.flush()
        note(session, body.client_key, "timer", content, [row.id])
        return _told(row, at)


def stop(database: Database, timer_id: int) -> None:
    """Stop a timer."""
    with database.transaction() as session:
        _timer(session, timer_id).stopped_at = now(session)


def go_on(database: Database, timer_id: int) -> Running:
    """Let a timer that was stopped go on: it ends when it would have."""
    with database.transaction() as session:
        row = _timer(session, timer_id)
        row.stopped_at = None
        return _told(row, now(session))


def _timer(session: Session, timer_id: int) -> Timer:
    row = session.get(Timer, timer_id)
    if row is None:
        raise NotFoundError("there is no such timer", field="timer")
    return row


def _told(row: Timer, at: datetime) -> Running:
    left_s, rung = (row.ends_at - at).total_seconds(), 0
    if row.repeats and left_s <= 0:
        rung = int(-left_s // row.seconds) + 1
        left_s += rung * row.seconds
    return Running(row.id, row.name, row.seconds, row.repeats, rung, left_s, row.recipe_id, row.version_id, row.step)
