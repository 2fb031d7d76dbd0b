"""Slips, sugar that no bake accounts for, and an entry of the diary as a slip makes it."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
from typing import Literal

from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.formula import FormulaLine, total
from sun_crumb.core.reference import table
from sun_crumb.services.clock import now, past_day
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.store import Database
from sun_crumb.store.tables import Slip

SUGARS = ("total_sugars_g", "refined_sugar_g", "added_sugars_us_g", "free_sugars_who_g", "free_sugars_uk_g")


@dataclass(frozen=True, slots=True, kw_only=True)
class Entry:
    """Something eaten: portions of a bake, or a slip; what it held by every definition, and what it saved by the one that is counted."""

    kind: Literal["portion", "slip"]
    id: int
    day: date
    at: int | None
    who: str
    what: str
    label: str
    count: float
    grams: float
    energy_kcal: float
    total_sugars_g: float
    refined_sugar_g: float
    added_sugars_us_g: float
    free_sugars_who_g: float
    free_sugars_uk_g: float
    saved_g: float
    saved_kcal: float


def add_slip(
    database: Database,
    name: str,
    eaten_on: date,
    *,
    grams: float,
    ingredient: str = "",
    sugars_g: float | None = None,
    energy_kcal: float | None = None,
    kind: str = "refined",
    who: str = "",
    eaten_at: int | None = None,
    client_key: str | None = None,
) -> Entry:
    """Note something else that was eaten, by a food of the pantry or by what its pack says of it, and return it.

    Raises
    ------
    OutOfDomainError, UnknownChoiceError, UnknownIngredientError
        The figures are absurd or missing; names the field.
    """
    content = [name, eaten_on.isoformat(), grams, ingredient, sugars_g, energy_kcal, kind, who, eaten_at]
    with database.transaction() as session:
        if made := made_before(session, client_key, "slip", content):
            found = session.get(Slip, made[0])
            if found is None or found.deleted_at is not None:
                raise taken_away("slip")
            return of_slip(found)
        row = Slip(
            eaten_on=past_day(session, eaten_on, "eaten_on"),
            eaten_at=eaten_at,
            who=who.strip(),
            name=name.strip() or ingredient,
            ingredient=ingredient,
            grams=grams,
            created_at=now(session),
            **(_of_food(session, ingredient, grams) if ingredient else _of_pack(grams, sugars_g, energy_kcal, kind)),
        )
        if not row.name:
            raise OutOfDomainError("say what it was", field="name")
        session.add(row)
        session.flush()
        note(session, client_key, "slip", content, [row.id])
        return of_slip(row)


def _of_food(session: Session, key: str, grams: float) -> dict[str, float]:
    held = total((FormulaLine(pantry_in(session)[key], grams),))
    return {name: getattr(held, name) for name in ("energy_kcal", *SUGARS)}


def _of_pack(grams: float, sugars_g: float | None, energy_kcal: float | None, kind: str) -> dict[str, float]:
    kinds = {row["key"]: row for row in table("slip_kinds")}
    shares = kinds[require_choice(kind, kinds, "kind")]
    if sugars_g is None:
        raise OutOfDomainError("say how much sugar it holds, or which food of the pantry it is", field="sugars_g")
    if not 0 <= sugars_g <= grams:
        raise OutOfDomainError(f"{grams:g} g can't hold {sugars_g:g} g of sugar", field="sugars_g")
    names = dict(zip(SUGARS[1:], ("refined", "added_us", "free_who", "free_uk"), strict=True))
    return {
        "energy_kcal": 4 * sugars_g if energy_kcal is None else energy_kcal,
        "total_sugars_g": sugars_g,
        **{name: sugars_g * float(shares[column]) for name, column in names.items()},
    }


def remove_slip(database: Database, slip_id: int) -> None:
    """Take back a slip; restore_slip undoes it."""
    with database.transaction() as session:
        _slip(session, slip_id).deleted_at = now(session)


def restore_slip(database: Database, slip_id: int) -> Entry:
    """Bring back a slip."""
    with database.transaction() as session:
        row = _slip(session, slip_id)
        row.deleted_at = None
        return of_slip(row)


def _slip(session: Session, slip_id: int) -> Slip:
    row = session.get(Slip, slip_id)
    if row is None:
        raise NotFoundError(f"no slip {slip_id}", field="slip_id")
    return row


def of_slip(row: Slip) -> Entry:
    return Entry(
        kind="slip",
        id=row.id,
        day=row.eaten_on,
        at=row.eaten_at,
        who=row.who,
        what=row.name,
        label="",
        count=1.0,
        grams=row.grams,
        saved_g=0.0,
        saved_kcal=0.0,
        **{name: getattr(row, name) for name in ("energy_kcal", *SUGARS)},
    )
