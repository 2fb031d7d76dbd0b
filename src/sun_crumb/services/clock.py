"""The time of a write, by the clock of the household that is written to."""

from __future__ import annotations

from datetime import date, datetime, timedelta

from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.store import Database

# A day ahead is let be: it may be tomorrow already where somebody travels.
AHEAD = timedelta(days=1)


def past_day(session: Session, day: date, field: str) -> date:
    """Return a day on which something was done; raise OutOfDomainError, naming the field, where it lies ahead."""
    database: Database = session.info["database"]
    if day > database.clock.today() + AHEAD:
        raise OutOfDomainError(f"{day.isoformat()} lies ahead; what was done is noted on its day", field=field)
    return day


def now(session: Session) -> datetime:
    """Return the time of a write, in UTC without zone as SQLite keeps it."""
    database: Database = session.info["database"]
    return database.clock.now()
