"""One SQLite file: engine, reads and writes."""

from __future__ import annotations

import json
import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from pathlib import Path
from typing import Any

from sqlalchemy import Engine, create_engine, event
from sqlalchemy.orm import Session

from sun_crumb.store.clock import Clock, SystemClock
from sun_crumb.store.folder import make_folder
from sun_crumb.store.migrating import migrate

# Held in the log beside the file at most, in pages of 4 kB: a copy of the one file lacks next to nothing.
LOG_PAGES = 8


class Unreadable(str):
    """The text of a JSON column that is no JSON: whoever checks what the column holds finds a text, and says so."""


def _loads(text: str) -> Any:
    try:
        return json.loads(text)
    except ValueError:
        return Unreadable(text)


def _connect(connection: Any, _record: object) -> None:
    # The driver's own BEGIN is deferred and left out before DDL: transactions are begun by _begin alone.
    connection.isolation_level = None
    cursor = connection.cursor()
    cursor.execute("PRAGMA busy_timeout=5000")
    cursor.execute("PRAGMA journal_mode=WAL")
    cursor.execute("PRAGMA synchronous=FULL")
    cursor.execute("PRAGMA foreign_keys=ON")
    cursor.execute(f"PRAGMA wal_autocheckpoint={LOG_PAGES}")
    cursor.close()


def _begin(connection: Any) -> None:
    if connection.get_execution_options().get("is_reading"):
        connection.exec_driver_sql("PRAGMA query_only=ON")
        connection.exec_driver_sql("BEGIN")
    else:
        # Deferred, a read-then-write transaction would lose updates.
        connection.exec_driver_sql("PRAGMA query_only=OFF")
        connection.exec_driver_sql("BEGIN IMMEDIATE")


class Database:
    """The database in one file. A session's ``info["database"]`` is the one it belongs to."""

    def __init__(self, path: Path, clock: Clock | None = None) -> None:
        self.path, self.clock = path, clock or SystemClock()
        make_folder(path.parent)
        self.engine: Engine = create_engine(
            f"sqlite:///{path}", connect_args={"check_same_thread": False}, json_deserializer=_loads
        )
        event.listen(self.engine, "connect", _connect)
        event.listen(self.engine, "begin", _begin)
        self._readers = self.engine.execution_options(is_reading=True)

    @contextmanager
    def transaction(self) -> Iterator[Session]:
        """Give a session whose work is committed as one transaction, or not at all."""
        with Session(self.engine, expire_on_commit=False, info={"database": self}) as session, session.begin():
            yield session

    @contextmanager
    def reading(self) -> Iterator[Session]:
        """Give a session that sees one state of the data and can't write; it holds up no writer and waits for none."""
        with Session(self._readers, expire_on_commit=False, info={"database": self}) as session, session.begin():
            yield session

    def migrate(self) -> None:
        """Make the database, or bring its tables to the newest revision.

        Raises
        ------
        DataFolderError
            The file is no database of ours, is damaged, comes from a newer version, or can't be written.
        """
        self.engine.dispose()
        migrate(self.path)

    def close(self) -> None:
        """Give back every connection and bring all that the log holds into the one file, as far as no one else has it open."""
        self.engine.dispose()
        with suppress(sqlite3.Error), closing(sqlite3.connect(self.path, isolation_level=None)) as connection:
            connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
