"""One SQLite file: engine, sessions, migrations."""

from __future__ import annotations

import shutil
import sqlite3
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

from alembic import command
from alembic.config import Config
from alembic.migration import MigrationContext
from alembic.script import ScriptDirectory
from sqlalchemy import Engine, create_engine, event
from sqlalchemy.orm import Session

MIGRATIONS = Path(__file__).parent / "migrations"


def _connect(connection: Any, _record: object) -> None:
    # SQLAlchemy's own BEGIN must not be deferred: read-then-write transactions would lose updates.
    connection.isolation_level = None
    cursor = connection.cursor()
    cursor.execute("PRAGMA journal_mode=WAL")
    cursor.execute("PRAGMA synchronous=FULL")
    cursor.execute("PRAGMA foreign_keys=ON")
    cursor.execute("PRAGMA busy_timeout=5000")
    cursor.close()


def _begin(connection: Any) -> None:
    connection.exec_driver_sql("BEGIN IMMEDIATE")


class Database:
    """The database in one file."""

    def __init__(self, path: Path) -> None:
        self.path = path
        path.parent.mkdir(parents=True, exist_ok=True)
        self.engine: Engine = create_engine(f"sqlite:///{path}", connect_args={"check_same_thread": False})
        event.listen(self.engine, "connect", _connect)
        event.listen(self.engine, "begin", _begin)

    @contextmanager
    def transaction(self) -> Iterator[Session]:
        """Give a session whose work is committed as one transaction, or not at all."""
        with Session(self.engine, expire_on_commit=False) as session, session.begin():
            yield session

    def migrate(self) -> None:
        """Bring the tables to the newest revision; an older file is copied beside itself first."""
        config = Config()
        config.set_main_option("script_location", str(MIGRATIONS))
        config.attributes["url"] = f"sqlite:///{self.path}"
        newest = ScriptDirectory.from_config(config).get_current_head()
        with self.engine.connect() as connection:
            current = MigrationContext.configure(connection).get_current_revision()
        if current == newest:
            return
        if current is not None:
            self._copy(f"before-{newest}")
        command.upgrade(config, "head")

    def _copy(self, suffix: str) -> None:
        target = self.path.with_name(f"{self.path.name}.{suffix}")
        with sqlite3.connect(self.path) as source, sqlite3.connect(target.with_suffix(".part")) as copy:
            source.backup(copy)
        shutil.move(target.with_suffix(".part"), target)

    def close(self) -> None:
        """Give back every connection."""
        self.engine.dispose()
