"""Alembic's entry: runs migrations over one SQLite file with foreign keys off (batch moves would delete children)."""

from alembic import context
from sqlalchemy import create_engine, pool

from sun_crumb.store.tables import Base

engine = create_engine(context.config.attributes["url"], poolclass=pool.NullPool)
with engine.connect() as connection:
    connection.exec_driver_sql("PRAGMA foreign_keys=OFF")
    context.configure(connection=connection, target_metadata=Base.metadata, render_as_batch=True)
    with context.begin_transaction():
        context.run_migrations()
    broken = connection.exec_driver_sql("PRAGMA foreign_key_check").fetchall()
    if broken:
        raise RuntimeError(f"migration left {len(broken)} rows without their parent")
    connection.commit()
