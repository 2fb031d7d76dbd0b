"""The time, as a port: who keeps a time is given the clock it is told by."""

from __future__ import annotations

from datetime import UTC, date, datetime
from typing import Protocol


class Clock(Protocol):
    """What tells the time of a write and the day a household lives in."""

    def now(self) -> datetime:
        """Return the time in UTC, without zone and in whole seconds, as SQLite keeps it."""
        ...

    def today(self) -> date:
        """Return the day it is where the household lives."""
        ...

    def local(self) -> datetime:
        """Return the time where the household lives, without zone."""
        ...


class SystemClock:
    """The machine's own clock."""

    def now(self) -> datetime:
        """Return the time in UTC, without zone and in whole seconds."""
        return datetime.now(UTC).replace(tzinfo=None, microsecond=0)

    def today(self) -> date:
        """Return the machine's local day."""
        return datetime.now().date()

    def local(self) -> datetime:
        """Return the machine's local time, without zone and in whole minutes."""
        return datetime.now().replace(second=0, microsecond=0)
