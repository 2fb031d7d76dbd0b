"""What the shelf holds of one recipe, as it is told: its versions, lines and portions with what they hold."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime

from sun_crumb.core.formula import Formula, Totals, portion, portion_totals, served, total
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.reading import Method
from sun_crumb.core.sugars.savings import Savings, savings
from sun_crumb.schemas.recipes import GoalsIn
from sun_crumb.services.kitchen import household_text
from sun_crumb.services.soundness import SoundVersion, sound_method, sound_recipe
from sun_crumb.services.wishes import filled, goals_of
from sun_crumb.store.tables import Line, Recipe, Version


@dataclass(frozen=True, slots=True)
class KeptLine:
    """One line of a version: its food, its amount [g] in numbers and words, and the reason for it."""

    component: str
    ingredient: str
    name: str
    grams: float
    amount: str
    household: str
    text: str
    is_crushed: bool
    reason: str


@dataclass(frozen=True, slots=True)
class KeptPortion:
    """One kind of portion, and what one of it holds."""

    name: str
    count: int
    components: tuple[str, ...]
    holds: Totals


@dataclass(frozen=True, slots=True)
class KeptVersion:
    """A version of a recipe: its wish, what it holds, and what a portion saves against the original."""

    id: int
    number: int
    label: str
    status: str
    servings: int
    unit: str
    goals: GoalsIn | None
    created_at: datetime
    per_serving: Totals
    batch: Totals
    saved_per_serving: Savings
    portions: tuple[KeptPortion, ...]
    own_yields: dict[str, int]
    is_pattern: bool
    lines: tuple[KeptLine, ...]


@dataclass(frozen=True, slots=True)
class KeptRecipe:
    """A recipe of the shelf with every version, the original first."""

    id: int
    title: str
    revision: int
    cup: str
    source_text: str
    method: Method
    versions: tuple[KeptVersion, ...]


def kept_recipe(recipe: Recipe, pantry: Pantry) -> KeptRecipe:
    """Return a stored recipe with every version.

    Raises
    ------
    DamagedError
        What is stored can't be worked with.
    """
    versions = sound_recipe(recipe, pantry)
    return KeptRecipe(
        id=recipe.id,
        title=recipe.title,
        revision=recipe.revision,
        cup=recipe.cup,
        source_text=recipe.source_text,
        method=sound_method(recipe),
        versions=tuple(
            _kept_version(row, sound, versions[0].formula, pantry)
            for row, sound in zip(recipe.versions, versions, strict=True)
        ),
    )


def _kept_version(version: Version, sound: SoundVersion, original: Formula, pantry: Pantry) -> KeptVersion:
    formula, kinds, goals = sound.formula, sound.kinds, sound.version.goals
    return KeptVersion(
        id=version.id,
        number=version.number,
        label=version.label,
        status=version.status,
        servings=version.servings,
        unit=version.unit,
        goals=None if goals is None else filled(goals_of(goals, pantry)),
        created_at=version.created_at,
        per_serving=portion(served(formula), formula.servings),
        batch=total(formula.lines),
        saved_per_serving=savings(served(original), served(formula), formula.servings),
        portions=tuple(
            KeptPortion(name, kind.count, kind.components, holds)
            for kind, (name, holds) in zip(kinds, portion_totals(formula, kinds).items(), strict=True)
        )
        if kinds
        else (),
        own_yields=version.own_yields or {},
        is_pattern=version.is_pattern,
        lines=tuple(_kept_line(line, pantry[line.ingredient], version.recipe.cup) for line in version.lines),
    )


def _kept_line(line: Line, food: Ingredient, cup: str) -> KeptLine:
    return KeptLine(
        component=line.component,
        ingredient=line.ingredient,
        name=food.name,
        grams=line.grams,
        amount=grams_text(line.grams),
        household=household_text(food, line.grams, cup),
        text=line.text,
        is_crushed=line.is_crushed,
        reason=line.reason,
    )
