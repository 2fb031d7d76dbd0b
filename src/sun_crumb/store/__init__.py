"""SQLite through SQLAlchemy: tables, engine, migrations. Knows no request and computes nothing."""

from sun_crumb.store.database import Database

__all__ = ["Database"]
