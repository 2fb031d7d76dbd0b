"""Alembic's entry: runs all migrations over one SQLite file in one transaction.

Foreign keys are off (batch moves would delete children) and checked before the commit. The transaction is begun here: the
driver would commit before every change of a table, and a stop half-way would leave tables that no later start expects.
"""

import sqlite3

from alembic import context
from sqlalchemy import create_engine, pool

from sun_crumb.store.migrations.leftovers import sweep
from sun_crumb.store.tables import Base


def _connect() -> sqlite3.Connection:
    return sqlite3.connect(context.config.attributes["path"], isolation_level=None, timeout=10)


engine = create_engine("sqlite://", creator=_connect, poolclass=pool.NullPool)
with engine.connect() as connection:
    connection.exec_driver_sql("PRAGMA foreign_keys=OFF")
    connection.exec_driver_sql("BEGIN IMMEDIATE")
    try:
        sweep(connection)
        context.configure(
            connection=connection,
            target_metadata=Base.metadata,
            render_as_batch=True,
            transactional_ddl=True,
            transaction_per_migration=False,
        )
        context.run_migrations()
        broken = connection.exec_driver_sql("PRAGMA foreign_key_check").fetchall()
        if broken:
            raise RuntimeError(f"migration left {len(broken)} rows without their parent")
        connection.exec_driver_sql("COMMIT")
    except BaseException:
        driver = connection.connection.driver_connection
        if driver is not None and driver.in_transaction:
            connection.exec_driver_sql("ROLLBACK")
        raise
