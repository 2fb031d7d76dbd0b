"""The shelf: recipes by title, a window at a time."""

from __future__ import annotations

from dataclasses import dataclass

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.services.figures import ShelfRow, rows_of
from sun_crumb.store import Database
from sun_crumb.store.tables import Recipe

WINDOW, MOST_AT_ONCE = 60, 500


@dataclass(frozen=True, slots=True)
class ShelfWindow:
    """A window of the shelf: of ``total`` recipes those from the one numbered ``start`` on, from 0."""

    total: int
    start: int
    recipes: tuple[ShelfRow, ...]


def list_recipes(database: Database, query: str = "", start: int = 0, count: int = WINDOW) -> ShelfWindow:
    """Return *count* recipes from *start* on, by title, of those whose title holds every word of *query*; and how many there are.

    A recipe that can't be worked with is among them, with what is wrong with it, and takes no other with it.
    """
    if not 1 <= count <= MOST_AT_ONCE:
        raise OutOfDomainError(f"1 to {MOST_AT_ONCE} recipes at a time, not {count}", field="count")
    with database.reading() as session:
        total, ids = _window(session, query.casefold().split(), start, count)
        return ShelfWindow(total, start, tuple(rows_of(session, ids)))


def _window(session: Session, words: list[str], start: int, count: int) -> tuple[int, list[int]]:
    """Return how many recipes there are with these words in their title, and the numbers of those in the window."""
    kept = Recipe.deleted_at.is_(None)
    order = (func.lower(Recipe.title), Recipe.id)
    if not words:
        total = session.scalar(select(func.count(Recipe.id)).where(kept)) or 0
        return total, list(session.scalars(select(Recipe.id).where(kept).order_by(*order).offset(start).limit(count)))
    # SQLite folds the case of ASCII alone: "CRÈME" would not find "crème".
    titles = session.execute(select(Recipe.id, Recipe.title).where(kept).order_by(*order))
    found = [i for i, title in titles if all(word in title.casefold() for word in words)]
    return len(found), found[start : start + count]
