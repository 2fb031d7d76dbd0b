"""What the shelf shows of a version, kept with it, so that a list of hundreds computes nothing."""

from __future__ import annotations

from collections.abc import Sequence
from functools import cache
from hashlib import sha256
from pathlib import Path

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

import sun_crumb.core
from sun_crumb.core.formula import Formula, portion, served
from sun_crumb.services.errors import DamagedError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.soundness import sound_recipe
from sun_crumb.services.views import View, rounded
from sun_crumb.store import Database
from sun_crumb.store.tables import Recipe, Version

SHOWN = ("energy_kcal", "free_sugars_who_g")
AT_ONCE = 50


@cache
def stamp() -> str:
    """Return what kept figures hang on: the rules and tables of the core. Where one changes, all are computed anew."""
    root = Path(sun_crumb.core.__file__).parent
    found = sha256()
    for path in sorted(p for p in root.rglob("*") if p.suffix in (".py", ".csv")):
        found.update(path.relative_to(root).as_posix().encode() + b"\0" + path.read_bytes())
    return found.hexdigest()[:16]


def keep_figures(version: Version, formula: Formula) -> None:
    """Keep a version's figures with it."""
    version.figures = _shown(formula)
    version.figures_stamp = stamp()


def _shown(formula: Formula) -> View:
    one = portion(served(formula), formula.servings)
    return {name: rounded(getattr(one, name)) for name in SHOWN}


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


def _keep_all(session: Session, recipe: Recipe) -> bool:
    try:
        sound = sound_recipe(recipe, pantry_in(session))
    except DamagedError:
        return False
    for version, checked in zip(recipe.versions, sound, strict=True):
        keep_figures(version, checked.formula)
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


def rows_of(session: Session, ids: Sequence[int]) -> list[View]:
    """Return what the shelf shows of recipes, in the order of *ids*, in a fixed number of statements.

    Figures that aren't kept yet are computed; where that can't be done the row says what is damaged.
    """
    recipes = {
        row.id: row
        for row in session.execute(select(Recipe.id, Recipe.title, Recipe.revision).where(Recipe.id.in_(ids)))
    }
    columns = (
        Version.id,
        Version.recipe_id,
        Version.number,
        Version.label,
        Version.status,
        Version.servings,
        Version.unit,
        Version.figures,
        Version.figures_stamp,
    )
    versions: dict[int, list[View]] = {}
    fresh = dict.fromkeys(ids, True)
    for row in session.execute(select(*columns).where(Version.recipe_id.in_(ids)).order_by(Version.number)):
        kept = versions.setdefault(row.recipe_id, [])
        kept.append({name: getattr(row, name) for name in ("id", "number", "label", "status", "servings", "unit")})
        kept[-1]["per_serving"] = row.figures
        fresh[row.recipe_id] &= row.figures_stamp == stamp() and isinstance(row.figures, dict)
    stale = {i for i in ids if i not in versions or not fresh[i]}
    damage = _computed(session, stale, versions) if stale else {}
    return [
        {
            "id": i,
            "title": recipes[i].title,
            "revision": recipes[i].revision,
            "damage": damage.get(i, ""),
            "versions": [] if i in damage else versions[i],
        }
        for i in ids
    ]


def _computed(session: Session, ids: set[int], versions: dict[int, list[View]]) -> dict[int, str]:
    """Put figures that aren't kept into *versions*; return what is wrong with those that can't be computed."""
    damage = {}
    for recipe in _with_lines(session, sorted(ids)):
        try:
            sound = sound_recipe(recipe, pantry_in(session))
        except DamagedError as error:
            damage[recipe.id] = str(error.details["damage"])
            continue
        for shown, checked in zip(versions[recipe.id], sound, strict=True):
            shown["per_serving"] = _shown(checked.formula)
    return damage
