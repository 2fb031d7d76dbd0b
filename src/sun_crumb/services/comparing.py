"""Any two desserts beside each other: versions of the shelf, or foods of the pantry."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, fields, replace

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.exploring.beside import Difference, beside, product
from sun_crumb.core.formula import Formula
from sun_crumb.core.kitchen.lasting import Lasts, lasts
from sun_crumb.core.reading.records import Step
from sun_crumb.core.wish.goals import Definition
from sun_crumb.schemas.compare import SideIn
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in, pantry_of
from sun_crumb.services.preferences import prices_in
from sun_crumb.services.soundness import sound_method, sound_version
from sun_crumb.store import Database
from sun_crumb.store.tables import Recipe


@dataclass(frozen=True, slots=True)
class Apart(Difference):
    """Two desserts beside each other, with the time that each takes and how it keeps."""

    first_lasts: Lasts
    second_lasts: Lasts


def apart(
    database: Database,
    first: SideIn,
    second: SideIn,
    definition: Definition = "free_sugars_who_g",
    portion_g: float | None = None,
) -> Apart:
    """Return any two desserts beside each other: versions of the shelf, or foods of the pantry.

    Raises
    ------
    NotFoundError, UnknownIngredientError, OutOfDomainError
        One of them is not there, or the portion is none; names the field.
    """
    one, two = (_side(database, side, name) for side, name in ((first, "first"), (second, "second")))
    return set_apart(one, two, definition, portion_g, prices_in(database))


Told = tuple[Formula, Sequence[Step]]


def set_apart(
    first: Told,
    second: Told,
    definition: Definition,
    portion_g: float | None,
    prices: Mapping[str, float] | None = None,
) -> Apart:
    """Return two recipes, each with its method, beside each other."""
    found = beside(first[0], second[0], definition, portion_g, prices)
    held = {f.name: getattr(found, f.name) for f in fields(found)}
    return Apart(**held, first_lasts=lasts(*first), second_lasts=lasts(*second))


def _side(database: Database, side: SideIn, name: str) -> Told:
    if side.food is not None:
        return product(pantry_of(database)[side.food]), ()
    if side.recipe_id is None:
        raise OutOfDomainError("say a recipe or a food", field=name)
    with database.reading() as session:
        recipe = session.get(Recipe, side.recipe_id)
        if recipe is None or recipe.deleted_at is not None:
            raise NotFoundError(f"no recipe {side.recipe_id}", field=f"{name}.recipe_id")
        rows = {row.id: row for row in recipe.versions}
        version = rows.get(side.version_id) if side.version_id is not None else recipe.versions[-1]
        if version is None:
            raise NotFoundError(f"this recipe has no version {side.version_id}", field=f"{name}.version_id")
        formula = sound_version(recipe, version, pantry_in(session))
        named = replace(formula, title=formula.title if version.number == 1 else f"{formula.title}, {version.label}")
        return named, sound_method(recipe).steps
