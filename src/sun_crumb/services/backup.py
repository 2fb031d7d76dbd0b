"""Everything in one open file, and back: recipes, products, bakes, portions eaten, preferences, what was put away."""

from __future__ import annotations

import base64
import os
import re
from collections.abc import Callable, Iterable
from dataclasses import dataclass
from datetime import date, datetime
from pathlib import Path
from typing import Any

from sqlalchemy import delete, select
from sqlalchemy.orm import Session, selectinload

from sun_crumb.core.errors import CoreError
from sun_crumb.formats import backup as file
from sun_crumb.formats.backup import BadBackupError
from sun_crumb.formats.outgoing import FileContent
from sun_crumb.schemas.files import (
    Backup,
    BakeRow,
    ChallengeRow,
    DeedRow,
    LearnedRow,
    LineRow,
    PersonRow,
    PhotoRow,
    PortionRow,
    ProductRow,
    RecipeRow,
    ServingRow,
    SlipRow,
    TaperRow,
    TastingRow,
    TrialRow,
    VersionRow,
)
from sun_crumb.services.clock import now
from sun_crumb.services.errors import DamagedError, NotFoundError
from sun_crumb.services.figures import keep_figures
from sun_crumb.services.methods import read_method, stored_method
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import sound_settings
from sun_crumb.services.soundness import sound_product, sound_recipe
from sun_crumb.store import Database
from sun_crumb.store.errors import told
from sun_crumb.store.folder import OWNER_FILE
from sun_crumb.store.tables import (
    Bake,
    BakePortion,
    Challenge,
    Deed,
    Learned,
    Line,
    Person,
    Photo,
    Product,
    Recipe,
    Serving,
    Setting,
    Slip,
    Taper,
    Tasting,
    Trial,
    Version,
)

# What is kept row by row, with nothing within it: the names in the file, the tables, the shapes.
REST: dict[str, tuple[Any, Any]] = {
    "slips": (Slip, SlipRow),
    "people": (Person, PersonRow),
    "tastings": (Tasting, TastingRow),
    "photos": (Photo, PhotoRow),
    "trials": (Trial, TrialRow),
    "learned": (Learned, LearnedRow),
    "tapers": (Taper, TaperRow),
    "challenges": (Challenge, ChallengeRow),
}
KEPT_AS = re.compile(r"before-restore-\d{8}T\d{6}(?:-\d{1,3})?\.json")


@dataclass(frozen=True, slots=True)
class Restored:
    """What is there after a restore, and the name of the file in the data folder that holds what was there before."""

    recipes: int
    versions: int
    products: int
    bakes: int
    servings: int
    made_at: datetime
    kept_as: str


def back_up(database: Database) -> FileContent:
    """Return the whole household as the content of a backup file; writers go on meanwhile, and are not in it."""
    with database.reading() as session:
        made_at = now(session)
        content = _content(session, made_at)
    return FileContent(f"sun-crumb-{made_at:%Y-%m-%d}.json", "application/json", content)


def _content(session: Session, made_at: datetime) -> str:
    recipes = session.scalars(
        select(Recipe).options(selectinload(Recipe.versions).selectinload(Version.lines)).order_by(Recipe.id)
    ).all()
    settings = {row.key: row.value for row in session.scalars(select(Setting).order_by(Setting.key))}
    products = session.scalars(select(Product).order_by(Product.id)).all()
    pantry = pantry_in(session)
    damaged = {
        "recipes": _damaged(recipes, lambda row: sound_recipe(row, pantry)),
        "products": _damaged(products, sound_product),
        "settings": sound_settings(settings)[1],
    }
    household = {
        "settings": settings,
        "products": [_row(row, ProductRow) for row in products],
        "recipes": [_recipe(row) for row in recipes],
        "bakes": [
            _row(row, BakeRow, "portions") | {"portions": [_row(portion, PortionRow) for portion in row.portions]}
            for row in session.scalars(select(Bake).options(selectinload(Bake.portions)).order_by(Bake.id))
        ],
        "servings": [_row(row, ServingRow) for row in session.scalars(select(Serving).order_by(Serving.id))],
        "deeds": [_row(row, DeedRow) for row in session.scalars(select(Deed).order_by(Deed.key))],
        **{
            name: [_row(row, shape) for row in session.scalars(select(rows).order_by(*rows.__table__.primary_key))]
            for name, (rows, shape) in REST.items()
        },
    }
    return file.write(f"{made_at.isoformat()}Z", damaged, household)


def _damaged(rows: Iterable[Any], check: Callable[[Any], object]) -> list[int]:
    found = []
    for row in rows:
        try:
            check(row)
        except DamagedError:
            found.append(row.id)
    return found


def _row(row: Any, shape: Any, *without: str) -> dict[str, Any]:
    """Return a stored row by the names of its shape in the file; days and times as text."""
    values = {name: getattr(row, name) for name in shape.model_fields if name not in without}
    return {k: _as_text(v) if isinstance(v, date | bytes) else v for k, v in values.items()}


def _as_text(value: date | bytes) -> str:
    return base64.b64encode(value).decode() if isinstance(value, bytes) else value.isoformat()


def _recipe(recipe: Recipe) -> dict[str, Any]:
    versions = [
        _row(version, VersionRow, "lines") | {"lines": [_row(line, LineRow) for line in version.lines]}
        for version in recipe.versions
    ]
    return _row(recipe, RecipeRow, "versions") | {"versions": versions}


def restore(database: Database, content: str) -> Restored:
    """Put a backup in the place of all that is there; what was there is kept as a backup file in the data folder.

    Everything is checked first; a file that does not pass changes nothing.

    Raises
    ------
    BadBackupError
        The file is foreign, newer or damaged; says what is wrong.
    DataFolderError
        What is there can't be kept (no room, no right to write): nothing was changed.
    """
    found = file.read(content)
    with database.transaction() as session:
        kept_as = _keep(database.path.parent, now(session), _content(session, now(session)))
        for table in (
            *(rows for rows, _ in REST.values()),
            Deed,
            Serving,
            BakePortion,
            Bake,
            Line,
            Version,
            Recipe,
            Product,
            Setting,
        ):
            session.execute(delete(table))
        session.expunge_all()
        _fill(session, found)
        household = found.household
        return Restored(
            recipes=sum(1 for row in household.recipes if row.deleted_at is None),
            versions=sum(len(row.versions) for row in household.recipes if row.deleted_at is None),
            products=len(household.products),
            bakes=len(household.bakes),
            servings=sum(1 for row in household.servings if row.deleted_at is None),
            made_at=found.made_at,
            kept_as=kept_as,
        )


def undo_restore(database: Database, kept_as: str) -> Restored:
    """Bring back what a restore replaced, by the name it was kept as."""
    path = database.path.parent / kept_as
    if not KEPT_AS.fullmatch(kept_as) or not path.is_file():
        raise NotFoundError(f"nothing was kept as {kept_as!r}", field="kept_as")
    return restore(database, path.read_text(encoding="utf-8"))


def write_private(path: Path, content: str) -> None:
    """Write a file that only its owner can read, whole or not at all, and over no other one."""
    part = path.with_name(f"{path.name}.part")
    try:
        with os.fdopen(os.open(part, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, OWNER_FILE), "w", encoding="utf-8") as out:
            out.write(content)
            out.flush()
            os.fsync(out.fileno())
        part.replace(path)
    except OSError as error:
        part.unlink(missing_ok=True)
        raise told(error, path) from None


def _keep(folder: Path, made_at: datetime, content: str) -> str:
    stem, number = f"before-restore-{made_at:%Y%m%dT%H%M%S}", 1
    while (path := folder / f"{stem}{f'-{number}' if number > 1 else ''}.json").exists():
        number += 1
    write_private(path, content)
    return path.name


def _fill(session: Session, found: Backup) -> None:
    """Put a backup's rows into empty tables; raise BadBackupError where one can't be worked with."""
    household = found.household
    _check_numbers(found)
    _, damaged = sound_settings(household.settings)
    if unknown := set(damaged) - set(found.damaged.settings):
        raise _bad(f"preference {sorted(unknown)[0]!r}")
    session.add_all(Setting(key=key, value=value) for key, value in household.settings.items())
    session.add_all(Product(**_values(row)) for row in household.products)
    session.flush()
    for product in session.scalars(select(Product).where(Product.id.not_in(found.damaged.products))):
        _passes(lambda product=product: sound_product(product), f"product own_{product.id}")  # type: ignore[misc]
    pantry = pantry_in(session)
    for row in household.recipes:
        recipe = Recipe(**_values(row, "versions"))
        for kept in row.versions:
            version = Version(**_values(kept, "lines"))
            version.lines = [Line(position=n, **line.model_dump()) for n, line in enumerate(kept.lines)]
            recipe.versions.append(version)
        if recipe.method is None:
            recipe.method = stored_method(read_method(recipe.source_text, pantry))
        session.add(recipe)
        session.flush()
        if row.id in found.damaged.recipes:
            continue
        sound = _passes(lambda recipe=recipe: sound_recipe(recipe, pantry), f"recipe {row.title!r}")  # type: ignore[misc]
        keep_figures(session, {v: one.formula for v, one in zip(recipe.versions, sound, strict=True)})
    session.add_all(
        Bake(**_values(row, "portions"), portions=[BakePortion(**_values(one)) for one in row.portions])
        for row in household.bakes
    )
    session.flush()
    session.add_all(Serving(**_values(row)) for row in household.servings)
    session.add_all(Deed(**_values(row)) for row in household.deeds)
    for name, (rows, _) in REST.items():
        session.add_all(rows(**_values(row)) for row in getattr(household, name))
    session.flush()


def _values(row: Any, *without: str) -> dict[str, Any]:
    values = {name: getattr(row, name) for name in type(row).model_fields if name not in without}
    # SQLite keeps times without a zone; a file may name one.
    return {k: v.replace(tzinfo=None) if isinstance(v, datetime) else v for k, v in values.items()}


def _passes(check: Callable[[], Any], what: str) -> Any:
    try:
        return check()
    except CoreError as error:
        raise _bad(f"{what} ({error.message})") from None


def _bad(what: str) -> BadBackupError:
    return BadBackupError(f"the backup is damaged: {what} can't be worked with; nothing was changed", field="content")


def _check_numbers(found: Backup) -> None:
    """Raise BadBackupError unless every row has a number of its own and points to one that is there."""
    h = found.household
    versions = [version for recipe in h.recipes for version in recipe.versions]
    portions = [portion.id for bake in h.bakes for portion in bake.portions]
    rest = {name: [row.key if name == "learned" else row.id for row in getattr(h, name)] for name in REST}
    for what, numbers in (
        *rest.items(),
        ("recipes", [row.id for row in h.recipes]),
        ("versions", [row.id for row in versions]),
        ("products", [row.id for row in h.products]),
        ("bakes", [row.id for row in h.bakes]),
        ("portions", portions),
        ("servings", [row.id for row in h.servings]),
        ("deeds", [row.key for row in h.deeds]),
    ):
        if len(set(numbers)) != len(numbers):
            raise _bad(f"a number that two {what} share")
    for recipe in h.recipes:
        if sorted(v.number for v in recipe.versions) != list(range(1, len(recipe.versions) + 1)):
            raise _bad(f"the order of versions of {recipe.title!r}")
    if lost := {row.version_id for row in h.bakes} - {row.id for row in versions}:
        raise _bad(f"a bake of version {min(lost)}, which isn't there,")
    bakes = {row.id for row in h.bakes}
    hang_on = [
        *(t.bake_id for t in h.tastings),
        *(p.bake_id for p in h.photos),
        *(n for t in h.trials for n in (t.bake_id, t.other_id)),
    ]
    if lost := set(hang_on) - bakes:
        raise _bad(f"something about bake {min(lost)}, which isn't there,")
    if lost := {row.recipe_id for row in h.tapers} - {row.id for row in h.recipes}:
        raise _bad(f"a taper of recipe {min(lost)}, which isn't there,")
    if lost := {row.portion_id for row in h.servings} - set(portions):
        raise _bad(f"a slice of portion {min(lost)}, which isn't there,")
