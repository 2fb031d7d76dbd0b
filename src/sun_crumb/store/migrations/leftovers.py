"""What an earlier version of the program, stopped while it migrated, left half done: swept before migrating anew.

Those versions committed table by table. A copy that a table was to be replaced by is dropped, or put in its place where
the table is gone; a table that the file's revision does not know yet, and that nothing was written to, is dropped.
"""

from __future__ import annotations

from sqlalchemy import Connection

COPY = "_alembic_tmp_"


def sweep(connection: Connection) -> None:
    """Bring a database back to the revision it says it has."""
    names = _tables(connection)
    for copy in [name for name in names if name.startswith(COPY)]:
        table = copy.removeprefix(COPY)
        if table in names:
            connection.exec_driver_sql(f'DROP TABLE "{copy}"')
        else:
            connection.exec_driver_sql(f'ALTER TABLE "{copy}" RENAME TO "{table}"')
    names = _tables(connection)
    revision = (
        connection.exec_driver_sql("SELECT version_num FROM alembic_version").scalar()
        if "alembic_version" in names
        else None
    )
    early = {None: names - {"alembic_version"}, "0001": names & {"products"}}.get(revision, set())
    for table in sorted(early):
        if not connection.exec_driver_sql(f'SELECT 1 FROM "{table}" LIMIT 1').first():
            connection.exec_driver_sql(f'DROP TABLE "{table}"')


def has_column(connection: Connection, table: str, column: str) -> bool:
    """Return whether a table has a column already."""
    return any(row[1] == column for row in connection.exec_driver_sql(f'PRAGMA table_info("{table}")'))


def _tables(connection: Connection) -> set[str]:
    return set(connection.exec_driver_sql("SELECT name FROM sqlite_master WHERE type = 'table'").scalars())
