"""What the shelf shows of a version, kept with it, so that a list of hundreds computes nothing."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, fields
from functools import cache
from hashlib import sha256
from pathlib import Path

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

import sun_crumb.core
from sun_crumb.core.formula import Formula, portion, served
from sun_crumb.services.errors import DamagedError
from sun_crumb.services.methods import read_method, stored_method
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.soundness import sound_recipe
from sun_crumb.store import Database
from sun_crumb.store.tables import Recipe, Version

AT_ONCE = 50


@dataclass(frozen=True, slots=True)
class Figures:
    """What the shelf shows of one portion."""

    energy_kcal: float
    free_sugars_who_g: float


@dataclass(frozen=True, slots=True)
class ShelfVersion:
    """What the shelf shows of a version."""

    id: int
    number: int
    label: str
    status: str
    servings: int
    unit: str
    per_serving: Figures


@dataclass(frozen=True, slots=True)
class ShelfRow:
    """A recipe on the shelf. One that can't be worked with has no versions, and ``damage`` says what is wrong."""

    id: int
    title: str
    revision: int
    damage: str
    versions: tuple[ShelfVersion, ...]


SHOWN = tuple(field.name for field in fields(Figures))
SHELVED = tuple(field.name for field in fields(ShelfVersion) if field.name != "per_serving")


@cache
def stamp() -> str:
    """Return what kept figures hang on: the rules and tables of the core. Where one changes, all are computed anew."""
    root = Path(sun_crumb.core.__file__).parent
    found = sha256()
    for path in sorted(p for p in root.rglob("*") if p.suffix in (".py", ".csv")):
        found.update(path.relative_to(root).as_posix().encode() + b"\0" + path.read_bytes())
    return found.hexdigest()[:16]


def keep_figures(session: Session, formulas: Mapping[Version, Formula]) -> None:
    """Keep the figures of versions with them, in the transaction that made or changed them.

    The database itself forgets a version's stamp when what its figures were computed from changes (migration 0004): what is
    damaged behind the program's back is found out.
    """
    session.flush()
    for version, formula in formulas.items():
        session.refresh(version, ["figures_stamp"])
        version.figures, version.figures_stamp = asdict(_shown(formula)), stamp()
    session.flush()


def _shown(formula: Formula) -> Figures:
    one = portion(served(formula), formula.servings)
    return Figures(*(round(getattr(one, name), 2) for name in SHOWN))


def refresh(database: Database) -> int:
    """Compute the figures that an earlier version of the program left; return of how many recipes."""
    done = 0
    with database.reading() as session:
        stale = list(
            session.scalars(
                select(Version.recipe_id)
                .where(Version.figures_stamp.is_distinct_from(stamp()))
                .distinct()
                .order_by(Version.recipe_id)
            )
        )
    for start in range(0, len(stale), AT_ONCE):
        with database.transaction() as session:
            for recipe in _with_lines(session, stale[start : start + AT_ONCE]):
                done += _keep_all(session, recipe)
    return done


def read_methods(database: Database) -> int:
    """Read, once, the methods of recipes that an earlier version of the program kept without; return how many there were."""
    with database.reading() as session:
        without = list(session.scalars(select(Recipe.id).where(Recipe.method.is_(None)).order_by(Recipe.id)))
    for start in range(0, len(without), AT_ONCE):
        with database.transaction() as session:
            for recipe in session.scalars(select(Recipe).where(Recipe.id.in_(without[start : start + AT_ONCE]))):
                recipe.method = stored_method(read_method(recipe.source_text, pantry_in(session)))
    return len(without)


def _keep_all(session: Session, recipe: Recipe) -> bool:
    try:
        sound = sound_recipe(recipe, pantry_in(session))
    except DamagedError:
        return False
    keep_figures(session, {row: one.formula for row, one in zip(recipe.versions, sound, strict=True)})
    return True


def _with_lines(session: Session, ids: Sequence[int]) -> list[Recipe]:
    return list(
        session.scalars(
            select(Recipe)
            .where(Recipe.id.in_(ids))
            .options(selectinload(Recipe.versions).selectinload(Version.lines))
            .order_by(Recipe.id)
        )
    )


def rows_of(session: Session, ids: Sequence[int]) -> list[ShelfRow]:
    """Return what the shelf shows of recipes, in the order of *ids*, in a fixed number of statements.

    Figures that aren't kept yet are computed; where that can't be done the row says what is damaged.
    """
    # Plain rows: made into objects, fifteen hundred versions would take most of the time.
    connection, recipe, version = session.connection(), Recipe.__table__.c, Version.__table__.c
    recipes = {
        i: (title, revision)
        for i, title, revision in connection.execute(
            select(recipe.id, recipe.title, recipe.revision).where(recipe.id.in_(ids))
        )
    }
    columns = (version[name] for name in (*SHELVED, "recipe_id", "figures", "figures_stamp"))
    found: dict[int, list[ShelfVersion]] = {}
    stale, current = set(), stamp()
    for *values, recipe_id, figures, figures_stamp in connection.execute(
        select(*columns).where(version.recipe_id.in_(ids)).order_by(version.number)
    ):
        if figures_stamp == current and isinstance(figures, dict):
            shown = dict(zip(SHELVED, values, strict=True))
            found.setdefault(recipe_id, []).append(ShelfVersion(**shown, per_serving=Figures(**figures)))
        else:
            stale.add(recipe_id)
    stale.update(i for i in ids if i not in found)
    damage = _computed(session, stale, found) if stale else {}
    return [ShelfRow(i, *recipes[i], damage.get(i, ""), () if i in damage else tuple(found[i])) for i in ids]


def _computed(session: Session, ids: set[int], versions: dict[int, list[ShelfVersion]]) -> dict[int, str]:
    """Put versions whose figures aren't kept into *versions*; return what is wrong with those that can't be computed."""
    damage = {}
    for recipe in _with_lines(session, sorted(ids)):
        try:
            sound = sound_recipe(recipe, pantry_in(session))
        except DamagedError as error:
            damage[recipe.id] = str(error.details["damage"])
            continue
        versions[recipe.id] = [
            ShelfVersion(**{name: getattr(row, name) for name in SHELVED}, per_serving=_shown(one.formula))
            for row, one in zip(recipe.versions, sound, strict=True)
        ]
    return damage
