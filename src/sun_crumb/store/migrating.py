"""From any released schema to the newest, in one transaction; an older file is copied beside itself first."""

from __future__ import annotations

import errno
import sqlite3
from pathlib import Path

from alembic import command
from alembic.config import Config
from alembic.script import ScriptDirectory
from sqlalchemy.exc import DBAPIError

from sun_crumb.store.errors import DataFolderError, not_a_database, told
from sun_crumb.store.folder import OWNER_FILE, alone, make_private

MIGRATIONS = Path(__file__).parent / "migrations"


def config_of(path: Path) -> Config:
    """Return Alembic's configuration for one database file."""
    config = Config()
    config.set_main_option("script_location", str(MIGRATIONS).replace("%", "%%"))
    config.attributes["path"] = path
    return config


def newest_revision() -> str:
    """Return the revision that this version of the program works with."""
    return str(ScriptDirectory.from_config(config_of(Path("none"))).get_current_head())


def migrate(path: Path) -> None:
    """Make the database *path*, or bring it to the newest revision: wholly, or not at all.

    A new one is made under another name and moved into place when it is whole, so that an empty file there is never ours.
    """
    try:
        with alone(path):
            _migrate(path)
    except OSError as error:
        raise told(error, path) from None
    except (sqlite3.DatabaseError, DBAPIError) as error:
        raise _refused(error.orig if isinstance(error, DBAPIError) else error, path) from None


REFUSALS = {
    sqlite3.SQLITE_FULL: errno.ENOSPC,
    sqlite3.SQLITE_READONLY: errno.EACCES,
    sqlite3.SQLITE_PERM: errno.EACCES,
    sqlite3.SQLITE_CANTOPEN: errno.EACCES,
}


def _refused(error: BaseException | None, path: Path) -> DataFolderError:
    code = getattr(error, "sqlite_errorcode", 0) & 0xFF
    if code in REFUSALS:
        return told(OSError(REFUSALS[code], str(error)), path)
    if not isinstance(error, sqlite3.OperationalError):
        return not_a_database(path, f"damaged, or no database ({error})")
    return DataFolderError(
        f"{path} can't be opened ({error}); nothing was changed; close whatever else uses it and start again",
        field="folder",
        path=str(path),
    )


def _migrate(path: Path) -> None:
    if not path.exists():
        made = path.with_name(f"{path.name}.new")
        for left in path.parent.glob(f"{made.name}*"):
            left.unlink()
        made.touch(mode=OWNER_FILE)
        _upgrade(made)
        _log_ahead(made)
        made.replace(path)
        return
    if path.is_dir():
        raise not_a_database(path, "a folder")
    if not path.stat().st_size:
        raise not_a_database(path, "empty (0 bytes)")
    with path.open("r+b"):
        make_private(path)
    found, newest = _examined(path), newest_revision()
    if found == newest:
        return
    known = {script.revision for script in ScriptDirectory.from_config(config_of(path)).walk_revisions()}
    if found is not None and found not in known:
        raise DataFolderError(
            f"{path} was made by a newer Sun Crumb (its tables are {found}, this one knows {newest}); "
            "it was left as it is; start it with that version, or choose another folder with SUN_CRUMB_DATA",
            field="folder",
            path=str(path),
        )
    if found is not None:
        safety_copy(path, found)
    _upgrade(path)


def _connect(path: Path) -> sqlite3.Connection:
    return sqlite3.connect(path, isolation_level=None, timeout=10)


def _examined(path: Path) -> str | None:
    """Return the revision of a whole database, None for one whose making was cut short; raise where it isn't ours."""
    connection = _connect(path)
    try:
        if (word := connection.execute("PRAGMA quick_check(1)").fetchone()[0]) != "ok":
            raise not_a_database(path, f"damaged ({word.splitlines()[0]})")
        tables = {row[0] for row in connection.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
        row = (
            connection.execute("SELECT version_num FROM alembic_version").fetchone()
            if "alembic_version" in tables
            else None
        )
        if row is None and tables - {"alembic_version"} - OURS:
            raise not_a_database(path, "a database of another program")
        if row is None and any(
            connection.execute(f"SELECT 1 FROM {table} LIMIT 1").fetchone() for table in tables & OURS
        ):
            raise not_a_database(path, "a database whose revision is lost")
        return str(row[0]) if row else None
    finally:
        connection.close()


# The tables of the first release: a start cut short by an earlier version left some of them, empty, without a revision.
OURS = {"recipes", "settings", "versions", "bakes", "lines", "servings"}


def _upgrade(path: Path) -> None:
    command.upgrade(config_of(path), "head")


def _log_ahead(path: Path) -> None:
    """Leave a new database in write-ahead mode with nothing in its log."""
    connection = _connect(path)
    connection.execute("PRAGMA journal_mode=WAL")
    connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
    connection.close()


def safety_copy(path: Path, reason: str) -> Path:
    """Copy a database beside itself, whole and checked, once for each state it is in; return the copy.

    A copy that is there is never written over: the same state needs none, another state gets a number of its own.
    """
    part = path.with_name(f"{path.name}.part")
    part.unlink(missing_ok=True)
    part.touch(mode=OWNER_FILE)
    source, copy = _connect(path), _connect(part)
    try:
        source.backup(copy)
        copy.execute("PRAGMA journal_mode=DELETE")
        if copy.execute("PRAGMA integrity_check(1)").fetchone()[0] != "ok" or _counts(copy) != _counts(source):
            raise not_a_database(path, "not to be copied whole")
        counts = _counts(copy)
    finally:
        source.close()
        copy.close()
    number = 1
    while (target := path.with_name(f"{path.name}.before-{reason}{f'-{number}' if number > 1 else ''}")).exists():
        if _holds(target, counts):
            part.unlink()
            return target
        number += 1
    part.replace(target)
    return target


def _counts(connection: sqlite3.Connection) -> dict[str, tuple[int, ...]]:
    """Return what tells two states of a database apart: rows and highest row of every table, and its revision."""
    tables = [row[0] for row in connection.execute("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name")]
    return {
        table: connection.execute(f'SELECT count(*), coalesce(max(rowid), 0) FROM "{table}"').fetchone()
        for table in tables
    }


def _holds(copy: Path, counts: dict[str, tuple[int, ...]]) -> bool:
    try:
        connection = sqlite3.connect(f"file:{copy}?mode=ro", uri=True)
        try:
            return _counts(connection) == counts
        finally:
            connection.close()
    except sqlite3.DatabaseError:
        return False
