"""The time of a write."""

from __future__ import annotations

from datetime import UTC, datetime


def now() -> datetime:
    """Return the time of a write, in UTC without zone as SQLite keeps it."""
    return datetime.now(UTC).replace(tzinfo=None, microsecond=0)
