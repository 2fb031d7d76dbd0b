"""Versions that a household keeps as patterns: what other desserts of theirs may be made as."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from sun_crumb.core.balance import families, nature_of
from sun_crumb.core.balance.patterns import Pattern
from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import Pantry, shipped_pantry
from sun_crumb.core.recasting import fits
from sun_crumb.core.wish import Goals
from sun_crumb.schemas.recipes import GoalsIn
from sun_crumb.services.errors import DamagedError, NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.soundness import original_of, sound_version
from sun_crumb.services.taught import thirst_in
from sun_crumb.store import Database
from sun_crumb.store.tables import Recipe, Version

# What a pattern's grams are told for: so much of the whole.
WHOLE_G = 100.0


@dataclass(frozen=True, slots=True)
class OwnPattern:
    """A pattern of the household's that a component of a recipe can follow."""

    key: str
    name: str
    component: str


def own_patterns_in(session: Session, pantry: Pantry, keys: Iterable[str] | None = None) -> dict[str, Pattern]:
    """Return a household's patterns by key, of some *keys* or all of recipes that are on the shelf; without those that can't be worked with."""
    query = select(Version).where(Version.is_pattern).options(selectinload(Version.lines), selectinload(Version.recipe))
    if keys is not None:
        query = query.where(Version.id.in_([int(key.removeprefix("own_")) for key in keys]))
    else:
        query = query.join(Recipe, Version.recipe_id == Recipe.id).where(Recipe.deleted_at.is_(None))
    found = {}
    for version in session.scalars(query.order_by(Version.id)):
        try:
            formula = sound_version(version.recipe, version, pantry)
        except DamagedError:
            continue
        if (made := _pattern(version, formula)) is not None:
            found[made.key] = made
    return found


def _pattern(version: Version, formula: Formula) -> Pattern | None:
    """Return a version's main component as a pattern; None where it holds a product of the household's own."""
    main = formula.only(formula.heaviest())
    if any(x.ingredient.key not in shipped_pantry() for x in main.lines) or not main.mass_g:
        return None
    said = GoalsIn.model_validate(version.goals).families if version.goals else {}
    component = formula.heaviest()
    family = families()[said[component]] if said.get(component) in families() else nature_of(formula, component).family
    grams = tuple((x.ingredient.key, x.grams * WHOLE_G / main.mass_g) for x in main.lines if x.grams > 0)
    name = version.recipe.title if version.number == 1 else f"{version.recipe.title}, {version.label}"
    return Pattern(f"own_{version.id}", family.key, "own", name, grams, "own")


def as_households(session: Session, goals: Goals, pantry: Pantry) -> Goals:
    """Return a wish that knows the household's patterns that it names, and what tastings taught of its flour."""
    named = [key for key in goals.recasts.values() if key.startswith("own_")]
    goals = replace(goals, own=own_patterns_in(session, pantry, named)) if named else goals
    thirst = thirst_in(session)
    return replace(goals, thirst=thirst) if thirst else goals


def patterns_for(database: Database, recipe_id: int) -> tuple[OwnPattern, ...]:
    """Return the household's patterns that a component of a recipe can follow, its own versions left out.

    Raises
    ------
    NotFoundError, DamagedError
        There is no such recipe, or it can't be worked with.
    """
    with database.reading() as session:
        pantry = pantry_in(session)
        recipe = session.get(Recipe, recipe_id)
        if recipe is None or recipe.deleted_at is not None:
            raise NotFoundError(f"no recipe {recipe_id} on the shelf", field="id")
        formula = sound_version(recipe, original_of(recipe), pantry)
        mine = {f"own_{version.id}" for version in recipe.versions}
        own = own_patterns_in(session, pantry)
    found = []
    for key, pattern in own.items():
        component = next((c for c in formula.components if fits(formula, Goals(), c, pattern)), None)
        if key not in mine and component is not None:
            found.append(OwnPattern(key, pattern.name, component))
    return tuple(found)


def keep_as_pattern(database: Database, recipe_id: int, number: int, *, is_pattern: bool) -> None:
    """Keep a version as a pattern that other desserts may follow, or let go of it as one.

    Raises
    ------
    NotFoundError, OutOfDomainError
        There is no such version, or it holds a product of the household's own.
    """
    with database.transaction() as session:
        version = session.scalar(
            select(Version)
            .join(Recipe, Version.recipe_id == Recipe.id)
            .where(Version.recipe_id == recipe_id, Version.number == number, Recipe.deleted_at.is_(None))
        )
        if version is None:
            raise NotFoundError(f"this recipe has no version {number}", field="version")
        pantry = pantry_in(session)
        if is_pattern and _pattern(version, sound_version(version.recipe, version, pantry)) is None:
            raise OutOfDomainError(
                "it holds a product of your own: a pattern is of foods that the pantry ships", field="version"
            )
        version.is_pattern = is_pattern
