"""Recipes in and out of files."""

from __future__ import annotations

import json
import re
from collections.abc import Mapping
from dataclasses import asdict, dataclass

from pydantic import ValidationError
from sqlalchemy.orm import Session

from sun_crumb.core.errors import require_choice
from sun_crumb.formats import outgoing
from sun_crumb.formats.incoming import UnreadableFileError, read_file
from sun_crumb.formats.outgoing import FileContent
from sun_crumb.schemas.files import OwnProduct, OwnRecipe, OwnVersion
from sun_crumb.schemas.words import words_of
from sun_crumb.services import recipes
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.figures import keep_figures
from sun_crumb.services.methods import given_method, read_method
from sun_crumb.services.pantry import add_product, pantry_in, products_in
from sun_crumb.services.soundness import SoundVersion, check_recipe, label_of, stored_as_own
from sun_crumb.services.wishes import filled, foods_in, goals_of, renamed
from sun_crumb.store import Database
from sun_crumb.store.tables import Recipe, Version

FORMATS = {"jsonld": "application/ld+json", "html": "text/html", "csv": "text/csv", "json": "application/json"}
ENDINGS = {"jsonld": ".jsonld", "html": ".html", "csv": ".csv", "json": ".json"}


@dataclass(frozen=True, slots=True)
class Imported:
    """Text for the reader, or the number of the recipe that is on the shelf now."""

    text: str
    recipe_id: int | None


def export_recipe(database: Database, recipe_id: int, kind: str, version_id: int | None = None) -> FileContent:
    """Return a recipe as the content of a file: jsonld, html or csv of one version, json of all of them.

    A damaged recipe has no version that could be shown; as json it goes out as it is stored.
    """
    require_choice(kind, FORMATS, "format")
    if kind == "json":
        title, content = _own_file(database, recipe_id)
    else:
        recipe = recipes.get_recipe(database, recipe_id)
        version = next((v for v in recipe.versions if v.id == (version_id or recipe.versions[-1].id)), None)
        if version is None:
            raise NotFoundError(f"this recipe has no version with the number {version_id}", field="version")
        title = recipe.title
        steps = tuple(step.text for step in recipe.method.steps)
        name = title if version.number == 1 else f"{title} ({version.label})"
        sheet = outgoing.Sheet(name, version.servings, version.unit, version.lines, steps, version.per_serving)
        content = {"jsonld": outgoing.json_ld_text, "html": outgoing.page, "csv": outgoing.table}[kind](sheet)
    return FileContent(outgoing.file_name(title, ENDINGS[kind]), FORMATS[kind], content)


def _own_file(database: Database, recipe_id: int) -> tuple[str, str]:
    with database.reading() as session:
        recipe = session.get(Recipe, recipe_id)
        if recipe is None:
            raise NotFoundError(f"no recipe {recipe_id}", field="id")
        own = stored_as_own(recipe)
        # Named anywhere, in a line or a wish; a damaged wish has no shape to look into.
        held = set(re.findall(r'"(own_[0-9]+)"', json.dumps(own["versions"])))
        own["products"] = [
            {"key": f"own_{row.id}", "label": row.label, "like": row.like}
            for row in products_in(session)
            if f"own_{row.id}" in held
        ]
        return recipe.title, json.dumps(own, ensure_ascii=False, indent=2)


def import_file(database: Database, name: str, content: str, client_key: str | None = None) -> Imported:
    """Return the text of a file for the reader, or put the recipe of an own file on the shelf and return its number.

    An own file passes all checks of a recipe brought in by hand, every version of it, and is kept whole or not at all.

    Raises
    ------
    UnreadableFileError
        It holds no recipe, is damaged, or comes from a newer version; says what is wrong.
    """
    found = read_file(name, content)
    if found.recipe is None:
        return Imported(found.text, None)
    try:
        recipe = OwnRecipe.model_validate(found.recipe)
    except ValidationError as error:
        raise UnreadableFileError(f"{name} is damaged: {words_of(error)[0]}", field="content") from None
    with database.transaction() as session:
        if made := made_before(session, client_key, "import", found.recipe):
            row = session.get(Recipe, made[0])
            if row is None or row.deleted_at is not None:
                raise taken_away("recipe")
            return Imported("", row.id)
        keys = _bring_products(session, recipe.products)
        recipe = recipe.model_copy(update={"versions": [_renamed(v, keys) for v in recipe.versions]})
        row = _keep(session, recipe)
        note(session, client_key, "import", found.recipe, [row.id])
        return Imported("", row.id)


def _bring_products(session: Session, products: list[OwnProduct]) -> dict[str, str]:
    """Return this household's key for each product of the file: the same label's if it is there, else a new one's."""
    here = {json.dumps([row.label, row.like], sort_keys=True): f"own_{row.id}" for row in products_in(session)}
    keys: dict[str, str] = {}
    for product in products:
        if product.key in keys:
            raise UnreadableFileError(f"the file names {product.key} twice", field="content")
        same = json.dumps([asdict(label_of(product.label)), product.like], sort_keys=True)
        if same not in here:
            here[same] = f"own_{add_product(session, product.label, product.like).id}"
        keys[product.key] = here[same]
    return keys


def _renamed(version: OwnVersion, keys: Mapping[str, str]) -> OwnVersion:
    """Return a version whose own products go by this household's keys; one that the file doesn't describe is refused."""

    def new(key: str) -> str:
        if key.startswith("own_") and key not in keys:
            raise UnreadableFileError(
                f"the file holds {key}, a product of another household, without saying what it is", field="content"
            )
        return keys.get(key, key)

    goals = version.goals
    for key in foods_in(goals) if goals else ():
        new(key)
    return version.model_copy(
        update={
            "lines": [line.model_copy(update={"ingredient": new(line.ingredient)}) for line in version.lines],
            "goals": goals and renamed(goals, keys),
        }
    )


def _keep(session: Session, recipe: OwnRecipe) -> Recipe:
    pantry = pantry_in(session)
    original, *others = check_recipe(recipe, pantry)
    method = given_method(recipe.method) if recipe.method else read_method(recipe.source_text, pantry)
    row = recipes.new_recipe(session, original.formula, recipe.source_text, recipe.cup, method, original.kinds)
    _dress(row.versions[0], original)
    for number, sound in enumerate(others, start=2):
        version = sound.version
        kept = Version(
            number=number,
            label=version.label,
            servings=version.servings,
            unit=version.unit,
            status=version.status,
            goals=None if version.goals is None else filled(goals_of(version.goals, pantry)).model_dump(mode="json"),
            portions=[kind.model_dump() for kind in version.portions] or None,
            own_yields=dict(sound.formula.own_yields) or None,
            own_words=version.own_words or None,
            created_at=now(session),
        )
        kept.lines = recipes.line_rows(sound.formula)
        _dress(kept, sound)
        row.versions.append(kept)
    keep_figures(session, {v: sound.formula for v, sound in zip(row.versions, (original, *others), strict=True)})
    return row


def _dress(row: Version, sound: SoundVersion) -> None:
    """Give a version from a file the label and the reasons that it has there."""
    row.label = sound.version.label or row.label
    for line, own in zip(row.lines, sound.version.lines, strict=True):
        line.reason = own.reason
