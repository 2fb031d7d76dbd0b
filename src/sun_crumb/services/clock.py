"""The time of a write, by the clock of the household that is written to."""

from __future__ import annotations

from datetime import datetime

from sqlalchemy.orm import Session

from sun_crumb.store import Database


def now(session: Session) -> datetime:
    """Return the time of a write, in UTC without zone as SQLite keeps it."""
    database: Database = session.info["database"]
    return database.clock.now()
