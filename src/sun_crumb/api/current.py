"""What belongs to the running application."""

from __future__ import annotations

from flask import current_app

from sun_crumb.store import Database


def database() -> Database:
    """Return the running application's database."""
    found: Database = current_app.extensions["database"]
    return found
