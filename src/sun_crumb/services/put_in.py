"""What the workshop made goes into a recipe: a version of it with one line weighed anew, or all of it for another tin."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict, dataclass

from sqlalchemy import select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen import tins
from sun_crumb.core.kitchen.preparations import KINDS, prepare
from sun_crumb.core.kitchen.prepared_as import AsFood, as_food
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.schemas.products import PackIn
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.figures import keep_figures
from sun_crumb.services.kept import KeptRecipe, kept_recipe
from sun_crumb.services.pantry import add_product, pantry_in
from sun_crumb.services.soundness import sound_version
from sun_crumb.services.workshop import Figure, Picture, food_of, minutes_of, number, work
from sun_crumb.store import Database
from sun_crumb.store.tables import Line, Product, Recipe, Version

# The sums whose result is a food, or a size of the whole recipe; the others tell a heat or a count.
SIZES = frozenset({"tin"})
USABLE = frozenset(KINDS) | {"cups"} | SIZES


@dataclass(frozen=True, slots=True)
class Use:
    """Where what a sum made goes: a version of a recipe, the line whose place it takes (None for a line of its own), and how much of it [g] (None for all)."""

    recipe_id: int
    version_id: int
    position: int | None = None
    component: str | None = None
    grams: float | None = None
    client_key: str | None = None


def made_of(key: str, given: Mapping[str, str], pantry: Pantry) -> AsFood | None:
    """Return the food that a sum makes; None where it makes none."""
    given = {k: v for k, v in given.items() if v.strip()}
    if key in KINDS:
        return as_food(prepare(key, given, pantry), food_of(key, given, pantry), pantry)
    if key != "cups":
        return None
    food = food_of(key, given, pantry)
    spoons = food.spoons(cup_standard(given.get("cup", "us")))
    if spoons is None:
        raise OutOfDomainError(f"no weight is known for a cup of {food.name}", field="food")
    return AsFood(food.name, number(given, "cups", 1.0) * spoons.cup_g, food.key, None)


@dataclass(frozen=True, slots=True)
class Makes:
    """What of a sum a recipe may take in: a food and its weight [g], None for the size of all of it."""

    name: str
    grams: float | None


@dataclass(frozen=True, slots=True)
class WorkedOut:
    """What a sum comes to, and what of it a recipe may take in."""

    words: tuple[str, ...]
    figures: tuple[Figure, ...]
    picture: Picture | None
    makes: Makes | None


def worked(key: str, given: Mapping[str, str], pantry: Pantry) -> WorkedOut:
    """Return what a sum comes to, as ``workshop.work`` does, and what of it a recipe may take in."""
    found = work(key, given, pantry)
    made = made_of(key, given, pantry)
    makes = (
        Makes(made.name, made.grams) if made else Makes(given.get("new", "").strip(), None) if key in SIZES else None
    )
    return WorkedOut(found.words, found.figures, found.picture, makes)


def put_in(database: Database, key: str, given: Mapping[str, str], use: Use) -> KeptRecipe:
    """Keep a version of a recipe with what a sum made, and return the recipe.

    Raises
    ------
    NotFoundError
        There is no such version, or no such line in it.
    OutOfDomainError
        The sum makes nothing that a recipe could hold, or less of it than is wanted; names the field.
    """
    if key not in USABLE:
        raise OutOfDomainError("this sum makes nothing that goes into a recipe", field="sum")
    content = [key, dict(given), asdict(use) | {"client_key": None}]
    with database.transaction() as session:
        if made := made_before(session, use.client_key, "put_in", content):
            row = session.get(Version, made[0])
            if row is None or row.recipe.deleted_at is not None:
                raise taken_away("version")
            return kept_recipe(row.recipe, pantry_in(session))
        parent = _version(session, use)
        version = _in_a_tin(session, parent, given) if key in SIZES else _with_food(session, parent, key, given, use)
        recipe = parent.recipe
        recipe.versions.append(version)
        recipe.revision += 1
        session.flush()
        pantry = pantry_in(session)
        keep_figures(session, {version: sound_version(recipe, version, pantry)})
        note(session, use.client_key, "put_in", content, [version.id])
        return kept_recipe(recipe, pantry)


def _version(session: Session, use: Use) -> Version:
    recipe = session.get(Recipe, use.recipe_id)
    if recipe is None or recipe.deleted_at is not None:
        raise NotFoundError(f"no recipe {use.recipe_id} on the shelf", field="recipe_id")
    found = next((version for version in recipe.versions if version.id == use.version_id), None)
    if found is None:
        raise NotFoundError("this recipe has no such version", field="version_id")
    return found


def _with_food(session: Session, parent: Version, key: str, given: Mapping[str, str], use: Use) -> Version:
    pantry = pantry_in(session)
    made = made_of(key, given, pantry)
    assert made is not None
    grams = made.grams if use.grams is None else use.grams
    if not 0 < grams <= made.grams + 0.05:
        raise OutOfDomainError(f"{grams_text(made.grams)} were made, not {grams_text(grams)}", field="grams")
    lines = [_again(line) for line in parent.lines]
    was = next((line for line in lines if line.position == use.position), None)
    if use.position is not None and was is None:
        raise NotFoundError(f"this version has no line {use.position}", field="position")
    components = list(dict.fromkeys(line.component for line in lines))
    component = was.component if was else use.component if use.component is not None else components[0]
    if component not in components:
        raise NotFoundError(f"the recipe has no component {component!r}", field="component")
    told = f"{grams_text(grams)} {made.name}"
    new = Line(
        component=component,
        ingredient=_key(session, made),
        grams=round(grams, 3),
        # Where the recipe speaks of the old line the method means the new one.
        text=was.text if was else told,
        is_crushed=True,
        reason="",
    )
    at = lines.index(was) if was else max(n for n, line in enumerate(lines) if line.component == component) + 1
    lines[at : at + (1 if was else 0)] = [new]
    instead = f" for {grams_text(was.grams)} {pantry[was.ingredient].name}" if was else ""
    return _kept(session, parent, lines, f"With {told}", f"{told}{instead}", parent.servings)


def _key(session: Session, made: AsFood) -> str:
    """Return the pantry key of what was made: its own product where the pantry holds nothing like it, the same one again where it was made before."""
    if made.label is None:
        return made.key
    pack = PackIn(**{k: v for k, v in asdict(made.label).items() if v is not None})
    known = session.scalars(select(Product).where(Product.like == made.key, Product.deleted_at.is_(None)))
    same = next((row for row in known if row.label == asdict(made.label)), None)
    return f"own_{(same or add_product(session, pack, made.key)).id}"


def _in_a_tin(session: Session, parent: Version, given: Mapping[str, str]) -> Version:
    old, new = tins.read_size(given.get("old", "")), tins.read_size(given.get("new", ""))
    found = tins.refit(old, new, minutes_of(given.get("minutes", "")))
    factor, eggs = tins.with_eggs(found.factor, number(given, "eggs", 0.0))
    lines = [_again(line) for line in parent.lines]
    for line in lines:
        line.grams = round(line.grams * factor, 3)
    servings = max(round(parent.servings * factor), 1)
    tin = given.get("new", "").strip()
    said = [f"{factor:.2f} times the amounts", eggs, *found.words[1:]]
    if found.minutes:
        said.append(f"bake {found.minutes[0]} to {found.minutes[1]} min")
    return _kept(session, parent, lines, f"In {tin}", f"in {tin}: {', '.join(filter(None, said))}", servings)


def _again(line: Line) -> Line:
    return Line(
        position=line.position,
        component=line.component,
        ingredient=line.ingredient,
        grams=line.grams,
        text=line.text,
        is_crushed=line.is_crushed,
        reason=line.reason,
    )


def _kept(session: Session, parent: Version, lines: list[Line], label: str, changed: str, servings: int) -> Version:
    for position, line in enumerate(lines):
        line.position = position
    number_of = parent.recipe.versions[-1].number + 1
    is_as_large = servings == parent.servings
    return Version(
        number=number_of,
        label=label[:80],
        servings=servings,
        unit=parent.unit,
        status="",
        goals=None,
        portions=parent.portions if is_as_large else None,
        own_yields=parent.own_yields if is_as_large else None,
        parent=parent.number,
        changed=changed,
        created_at=now(session),
        lines=lines,
    )
