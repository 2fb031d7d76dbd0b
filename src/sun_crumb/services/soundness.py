"""What is stored held against the rules that everything coming in must pass: sound, or damaged in words."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, TypeVar

from pydantic import ValidationError

from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula, PortionKind, check_portions
from sun_crumb.core.pantry import Pantry, shipped_pantry
from sun_crumb.core.pantry.label import FromLabel, Label, from_label
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reading import Method
from sun_crumb.core.sugars.sweetness import glycosides_like_sugar
from sun_crumb.schemas.files import OwnRecipe, OwnVersion
from sun_crumb.schemas.products import PackIn
from sun_crumb.services.errors import DamagedError
from sun_crumb.services.kitchen import PlainLine, as_listed, formula_of
from sun_crumb.services.methods import method_in
from sun_crumb.services.wishes import goals_of
from sun_crumb.store.tables import Product, Recipe, Version

T = TypeVar("T")
# What the parts of a stored version are called when one of them can't be right.
PARTS = {
    "goals": "the wish",
    "servings": "the number of portions",
    "portions": "the kinds of portion",
    "own_yields": "the portions of a component",
    "own_words": "the words of a step",
    "lines": "a line",
    "unit": "the name of a portion",
    "status": "the status",
}


def _damage(error: ValidationError) -> str:
    """Return what is wrong with a stored row in words for whoever kept it."""
    match error.errors(include_url=False, include_context=False, include_input=False)[0]["loc"]:
        case ("versions", int(number), str(part), *_):
            return f"{PARTS.get(part, part)} of version {number + 1} can't be right"
        case ("versions",):
            return "it has no versions"
        case (part, *_):
            return f"its {part} can't be right"
    return "it can't be read"


@dataclass(frozen=True, slots=True)
class SoundVersion:
    """A version that passed every check: its shape, and what it is in grams."""

    version: OwnVersion
    formula: Formula
    kinds: tuple[PortionKind, ...]


def check_recipe(recipe: OwnRecipe, pantry: Pantry) -> list[SoundVersion]:
    """Return the versions of a recipe of the right shape; raise CoreError where one can't be worked with.

    The checks are those that a recipe passes that is brought in by hand: foods, weights, portions, wishes.
    """
    cup_standard(recipe.cup)
    found = []
    for version in recipe.versions:
        formula = version_formula(recipe.title, version, pantry)
        kinds = portion_kinds(version)
        if kinds:
            check_portions(formula, kinds)
        if version.goals is not None:
            goals_of(version.goals, pantry)
        found.append(SoundVersion(version, formula, kinds))
    return found


def version_formula(title: str, version: OwnVersion | Version, pantry: Pantry) -> Formula:
    """Return a version, of a file or stored, as a formula; raise CoreError where it has no weight or can't be one.

    A yield of a component that it no longer holds counts for nothing.
    """
    held = {line.component for line in version.lines}
    lines = [PlainLine(x.ingredient, x.grams, x.component, x.text, x.is_crushed) for x in version.lines]
    own = {c: n for c, n in (version.own_yields or {}).items() if c in held}
    return require_weight(formula_of(title, lines, version.servings, version.unit, pantry, own))


def require_weight(formula: Formula) -> Formula:
    """Return *formula* if anything in it weighs something, else raise CoreError."""
    if formula.mass_g <= 0:
        raise CoreError("the recipe has no weighed line yet", field="lines")
    return formula


def portion_kinds(version: OwnVersion | Version) -> tuple[PortionKind, ...]:
    """Return the kinds of portion that a version is cut into; empty for one kind."""
    if isinstance(version, OwnVersion):
        return tuple(PortionKind(k.name, k.count, tuple(k.components)) for k in version.portions)
    return tuple(PortionKind(k["name"], k["count"], tuple(k["components"])) for k in version.portions or ())


def stored_as_own(recipe: Recipe) -> dict[str, Any]:
    """Return a stored recipe in the shape of an own file, whatever its columns hold."""
    return {
        "format": "sun-crumb-recipe",
        "version": 1,
        "title": recipe.title,
        "cup": recipe.cup,
        "source_text": recipe.source_text,
        "method": recipe.method,
        "products": [],
        "versions": [
            {
                "label": v.label,
                "status": v.status,
                "servings": v.servings,
                "unit": v.unit,
                "goals": v.goals,
                "portions": [] if v.portions is None else v.portions,
                "own_yields": {} if v.own_yields is None else v.own_yields,
                "own_words": {} if v.own_words is None else v.own_words,
                "lines": [
                    {
                        "component": x.component,
                        "ingredient": x.ingredient,
                        "grams": x.grams,
                        "text": x.text,
                        "is_crushed": x.is_crushed,
                        "reason": x.reason,
                    }
                    for x in v.lines
                ],
            }
            for v in recipe.versions
        ],
    }


def sound_recipe(recipe: Recipe, pantry: Pantry) -> list[SoundVersion]:
    """Return the versions of a stored recipe, checked; raise DamagedError where it can't be worked with."""
    return _or_damaged("recipe", recipe.id, lambda: checked(recipe, pantry))


def checked(recipe: Recipe, pantry: Pantry) -> list[SoundVersion]:
    """Return the versions of a recipe as it stands in its columns; raise what is wrong with it."""
    return check_recipe(_shape(recipe), pantry)


def _shape(recipe: Recipe) -> OwnRecipe:
    # Words kept before their length was limited are no damage.
    raw = stored_as_own(recipe) | {"title": recipe.title[:200], "source_text": ""}
    for version in raw["versions"]:
        version["label"] = version["label"][:80]
        for line in version["lines"]:
            line |= {"text": line["text"][:600], "reason": line["reason"][:4000]}
    return OwnRecipe.model_validate(raw)


def sound_version(recipe: Recipe, version: Version, pantry: Pantry) -> Formula:
    """Return one stored version as a formula; raise DamagedError where it can't be worked with."""
    formula = _or_damaged("recipe", recipe.id, lambda: version_formula(recipe.title, version, pantry))
    return as_listed(formula, recipe.source_text)


def sound_method(recipe: Recipe) -> Method:
    """Return the method that is kept with a recipe, empty where none is; raise DamagedError where it can't be one."""
    return _or_damaged("recipe", recipe.id, lambda: method_in(recipe))


def original_of(recipe: Recipe) -> Version:
    """Return the first version of a stored recipe; raise DamagedError where it has none."""
    return _or_damaged("recipe", recipe.id, lambda: recipe.versions[0])


def sound_product(row: Product) -> FromLabel:
    """Return the ingredient of a stored product; raise DamagedError where its label can't be one."""
    return _or_damaged("product", row.id, lambda: made_of(row.id, PackIn.model_validate(row.label), row.like))


def made_of(number: int, pack: PackIn, like: str) -> FromLabel:
    """Return the ingredient that a pack describes, as number *number* of the household's own."""
    return from_label(f"own_{number}", label_of(pack), shipped_pantry()[like], glycosides_like_sugar)


def label_of(pack: PackIn) -> Label:
    """Return a checked pack as the core takes it."""
    return Label(**pack.model_dump(include=set(PackIn.model_fields)))


def _or_damaged(what: str, number: int, read: Callable[[], T]) -> T:
    try:
        return read()
    except ValidationError as error:
        damage = _damage(error)
    except CoreError as error:
        damage = error.message
    except (KeyError, TypeError, ValueError, AttributeError, IndexError) as error:
        damage = f"{error}"
    raise DamagedError(
        f"this {what} is damaged ({damage}); export it as it is, or put it away", field="id", damage=damage, id=number
    )
