"""The household's people: age band, whose limit counts, how they eat, and who is usually at the table."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.sugars.limits import Limit, limit_for
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.store import Database
from sun_crumb.store.tables import Person

MOST_PEOPLE = 20


@dataclass(frozen=True, slots=True)
class Someone:
    """A person with the day's limit that counts for them."""

    id: int
    name: str
    age: str
    authority: str
    energy_kcal: float | None
    own_limit_g: float | None
    diets: tuple[str, ...]
    eaters: tuple[str, ...]
    is_at_table: bool
    limit: Limit


@dataclass(frozen=True, slots=True)
class AtTable:
    """The wishes of all who are usually at the table, together."""

    diets: tuple[str, ...]
    eaters: tuple[str, ...]


def people(database: Database) -> tuple[Someone, ...]:
    """Return the household's people in the order they were named."""
    with database.reading() as session:
        return people_in(session)


def people_in(session: Session) -> tuple[Someone, ...]:
    """Return the household's people, within a transaction."""
    return tuple(
        _someone(row) for row in session.scalars(select(Person).where(Person.deleted_at.is_(None)).order_by(Person.id))
    )


def at_table(database: Database) -> AtTable:
    """Return what those who are usually at the table need together."""
    there = [one for one in people(database) if one.is_at_table]
    return AtTable(
        tuple(dict.fromkeys(key for one in there for key in one.diets)),
        tuple(dict.fromkeys(key for one in there for key in one.eaters)),
    )


def add_person(database: Database, given: dict[str, Any], client_key: str | None = None) -> Someone:
    """Keep a person and return them.

    Raises
    ------
    OutOfDomainError, UnknownChoiceError
        The name is taken, there are too many, or a figure is none; names the field.
    """
    with database.transaction() as session:
        if made := made_before(session, client_key, "person", given):
            found = session.get(Person, made[0])
            if found is None or found.deleted_at is not None:
                raise taken_away("person")
            return _someone(found)
        if len(people_in(session)) >= MOST_PEOPLE:
            raise OutOfDomainError(f"a household has at most {MOST_PEOPLE} people here", field="name")
        row = Person(**given, created_at=now(session))
        _check(session, row)
        session.add(row)
        session.flush()
        note(session, client_key, "person", given, [row.id])
        return _someone(row)


def change_person(database: Database, person_id: int, changes: dict[str, Any]) -> Someone:
    """Change some of a person's fields; what they ate keeps their name."""
    with database.transaction() as session:
        row = _person(session, person_id)
        for name, value in changes.items():
            setattr(row, name, value)
        _check(session, row)
        return _someone(row)


def remove_person(database: Database, person_id: int) -> None:
    """Take a person out of sight; restore_person undoes it. What they ate stays in the ledger."""
    with database.transaction() as session:
        _person(session, person_id).deleted_at = now(session)


def restore_person(database: Database, person_id: int) -> Someone:
    """Bring a person back."""
    with database.transaction() as session:
        row = _person(session, person_id)
        row.deleted_at = None
        _check(session, row)
        return _someone(row)


def _check(session: Session, row: Person) -> None:
    row.name = row.name.strip()
    if not row.name:
        raise OutOfDomainError("say a name", field="name")
    with session.no_autoflush:
        same = session.scalar(
            select(Person.id).where(
                func.lower(Person.name) == row.name.lower(), Person.deleted_at.is_(None), Person.id != (row.id or 0)
            )
        )
    if same is not None:
        raise OutOfDomainError(f"{row.name} is there already; the ledger tells people by their names", field="name")
    _limit(row)


def _limit(row: Person) -> Limit:
    return limit_for(row.authority, row.age, row.energy_kcal, row.own_limit_g)


def _person(session: Session, person_id: int) -> Person:
    row = session.get(Person, person_id)
    if row is None:
        raise NotFoundError(f"no person {person_id}", field="id")
    return row


def _someone(row: Person) -> Someone:
    return Someone(
        id=row.id,
        name=row.name,
        age=row.age,
        authority=row.authority,
        energy_kcal=row.energy_kcal,
        own_limit_g=row.own_limit_g,
        diets=tuple(row.diets),
        eaters=tuple(row.eaters),
        is_at_table=row.is_at_table,
        limit=_limit(row),
    )
