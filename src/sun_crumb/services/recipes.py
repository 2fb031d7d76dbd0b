"""What is done with a recipe of the shelf: kept, changed, put away, reworked, kept again as a version."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict, dataclass, replace
from typing import Any
from weakref import WeakKeyDictionary

from sqlalchemy import String, bindparam, cast, select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.exploring import Checked
from sun_crumb.core.formula import Formula, PortionKind, check_portions, with_foams
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reading import Method
from sun_crumb.core.rework import PlanLine
from sun_crumb.core.tasting.trial import Trial
from sun_crumb.core.wish import Goals
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import ConflictError, NotFoundError
from sun_crumb.services.figures import ShelfRow, keep_figures, rows_of
from sun_crumb.services.kept import KeptRecipe, kept_recipe
from sun_crumb.services.kitchen import PlainLine, TimedPlan, check, formula_of, plan
from sun_crumb.services.methods import read_method, stored_method
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import as_told
from sun_crumb.services.soundness import (
    checked,
    original_of,
    require_weight,
    sound_method,
    sound_version,
)
from sun_crumb.services.wishes import filled
from sun_crumb.store import Database
from sun_crumb.store.tables import Line, Recipe, Setting, Version


@dataclass(frozen=True, slots=True)
class NewRecipe:
    """A recipe to keep; the method is read from its text where it is not given."""

    title: str
    lines: Sequence[PlainLine]
    servings: int
    unit: str = "serving"
    source_text: str = ""
    cup: str = "us"
    portions: Sequence[PortionKind] = ()
    own_yields: dict[str, int] | None = None
    method: Method | None = None


def keep_recipe(database: Database, new: NewRecipe, client_key: str | None = None) -> KeptRecipe:
    """Put a recipe on the shelf and return it. The same *client_key* again returns the first one.

    Raises
    ------
    CoreError
        It has no weighed line, its portions don't add up, or a food or the cup isn't known; names the field.
    ConflictError
        The key was used for something else, or what it made was taken away since.
    """
    content = asdict(new)
    with database.transaction() as session:
        if made := made_before(session, client_key, "recipe", content):
            return _made_recipe(session, made[0])
        pantry = pantry_in(session)
        formula = formula_of(new.title, new.lines, new.servings, new.unit, pantry, new.own_yields)
        method = new.method or read_method(new.source_text, pantry)
        recipe = new_recipe(session, formula, new.source_text, new.cup, method, new.portions)
        note(session, client_key, "recipe", content, [recipe.id])
        return _told(session, recipe.id)


def new_recipe(
    session: Session,
    formula: Formula,
    source_text: str,
    cup: str,
    method: Method,
    portions: Sequence[PortionKind] = (),
) -> Recipe:
    """Put a recipe with its original on the shelf, in the caller's transaction.

    Raises
    ------
    CoreError
        It has no weighed line, its portions don't add up, or the cup isn't known.
    """
    cup_standard(cup)
    require_weight(formula)
    if portions:
        check_portions(formula, portions)
    recipe = Recipe(
        title=formula.title.strip() or "Untitled dessert",
        source_text=source_text,
        method=stored_method(method),
        cup=cup,
        revision=1,
        created_at=now(session),
    )
    version = Version(
        number=1,
        label="Original",
        servings=formula.servings,
        unit=formula.unit,
        status="",
        goals=None,
        portions=[asdict(kind) for kind in portions] or None,
        own_yields=dict(formula.own_yields) or None,
        created_at=now(session),
    )
    version.lines = line_rows(formula)
    recipe.versions = [version]
    session.add(recipe)
    keep_figures(session, {version: formula})
    return recipe


def _made_recipe(session: Session, recipe_id: int) -> KeptRecipe:
    recipe = session.get(Recipe, recipe_id)
    if recipe is None or recipe.deleted_at is not None:
        raise taken_away("recipe")
    return _told(session, recipe_id)


def line_rows(formula: Formula) -> list[Line]:
    """Return a formula's lines as rows."""
    return [
        Line(
            position=n,
            component=line.component,
            ingredient=line.ingredient.key,
            grams=round(line.grams, 3),
            text=line.text,
            is_crushed=line.is_crushed,
            reason="",
        )
        for n, line in enumerate(formula.lines)
    ]


def get_recipe(database: Database, recipe_id: int) -> KeptRecipe:
    """Return one recipe with every version.

    Raises
    ------
    DamagedError
        What is stored can't be worked with; it can be exported as it is and put away.
    """
    with database.reading() as session:
        return _told(session, recipe_id)


def change_recipe(database: Database, recipe_id: int, revision: int, changes: dict[str, Any]) -> KeptRecipe:
    """Change title, servings, unit or the original's amounts; refused when *revision* is not the stored one.

    Raises
    ------
    ConflictError
        Someone changed the recipe since; its details hold the stored one, and nothing is overwritten.
    """
    with database.transaction() as session:
        recipe = _recipe(session, recipe_id)
        if recipe.revision != revision:
            raise ConflictError(
                "this recipe was changed elsewhere; both are kept: yours here, the other on the shelf",
                field="revision",
                stored=_told(session, recipe_id),
            )
        _apply(session, recipe, changes)
        recipe.revision += 1
        session.flush()
        sound = checked(recipe, pantry_in(session))
        keep_figures(session, {row: one.formula for row, one in zip(recipe.versions, sound, strict=True)})
        return _told(session, recipe_id)


def _apply(session: Session, recipe: Recipe, changes: dict[str, Any]) -> None:
    """Put *changes* into a recipe's rows; what comes out is checked whole afterwards."""
    if "title" in changes:
        recipe.title = changes["title"].strip() or recipe.title
    for version in recipe.versions:
        version.servings = changes.get("servings", version.servings)
        version.unit = changes.get("unit", version.unit)
    if "lines" in changes:
        original = original_of(recipe)
        formula = formula_of(recipe.title, changes["lines"], original.servings, original.unit, pantry_in(session))
        original.lines.clear()
        session.flush()
        original.lines = line_rows(formula)
    if "own_yields" in changes:
        _set_yields(recipe, changes["own_yields"])
    if "method" in changes:
        # What goes in where is told at the worktop: a step typed anew does not forget it, another list does.
        links = () if "lines" in changes else sound_method(recipe).links
        recipe.method = stored_method(replace(changes["method"], links=changes["method"].links or links))
    if "portions" in changes:
        _set_portions(session, recipe, changes["portions"])
    elif "servings" in changes:
        for version in recipe.versions:
            version.portions = None


def _set_yields(recipe: Recipe, yields: dict[str, int]) -> None:
    held = {line.component for line in original_of(recipe).lines}
    for version in recipe.versions:
        own = {c: n for c, n in yields.items() if n != version.servings}
        if unknown := sorted(set(own) - held):
            raise OutOfDomainError(f"the recipe has no component {unknown[0]!r}", field="own_yields")
        version.own_yields = own or None


def _set_portions(session: Session, recipe: Recipe, kinds: Sequence[PortionKind]) -> None:
    for version in recipe.versions:
        if kinds:
            check_portions(sound_version(recipe, version, pantry_in(session)), kinds)
        version.portions = [asdict(kind) for kind in kinds] or None


def delete_recipe(database: Database, recipe_id: int) -> None:
    """Take a recipe off the shelf; restore_recipe brings it back."""
    with database.transaction() as session:
        _recipe(session, recipe_id).deleted_at = now(session)


def restore_recipe(database: Database, recipe_id: int) -> ShelfRow:
    """Put a recipe back on the shelf and return its row there."""
    with database.transaction() as session:
        recipe = session.get(Recipe, recipe_id)
        if recipe is None:
            raise NotFoundError(f"no recipe {recipe_id}", field="id")
        recipe.deleted_at = None
        session.flush()
        return rows_of(session, [recipe_id])[0]


def stored_formula(database: Database, recipe_id: int) -> tuple[Formula, str, Pantry]:
    """Return a recipe's original, its cup standard, and the household's pantry."""
    with database.reading() as session:
        pantry = pantry_in(session)
        return *original_in(session, recipe_id, pantry), pantry


# Of each household the originals last asked for: what was read of one, with which pantry, and the formula and cup made of it.
_made: WeakKeyDictionary[Database, dict[int, tuple[object, Pantry, tuple[Formula, str]]]] = WeakKeyDictionary()
MOST_MADE = 64
# All that an original is made of, as it lies in the file: nothing of it is looked into where it is as it was.
_ORIGINAL = (
    select(
        *(Recipe.title, Recipe.cup, cast(Recipe.method, String), Version.id, Version.servings, Version.unit),
        *(cast(Version.own_yields, String), Line.position, Line.component, Line.ingredient, Line.grams, Line.text),
        Line.is_crushed,
        # How the household measures: another way, and it is told anew.
        *(select(cast(Setting.value, String)).where(Setting.key == key).scalar_subquery() for key in ("units", "cup")),
    )
    .join(Version, Version.recipe_id == Recipe.id)
    .join(Line, Line.version_id == Version.id)
    .where(Recipe.id == bindparam("recipe"), Recipe.deleted_at.is_(None), Version.number == 1)
    .order_by(Line.position)
)


def original_in(session: Session, recipe_id: int, pantry: Pantry) -> tuple[Formula, str]:
    """Return a recipe's original and its cup standard; kept until one of its rows changes: a slider asks for it many times a second.

    Raises
    ------
    NotFoundError, DamagedError
        There is no such recipe, or it can't be worked with.
    """
    rows = session.execute(_ORIGINAL, {"recipe": recipe_id}).all()
    known = _made.setdefault(session.info["database"], {})
    last = known.get(recipe_id)
    if last is not None and last[0] == rows and last[1] is pantry:
        return last[2]
    recipe = _recipe(session, recipe_id)
    found = as_told(session, _original(recipe, pantry), recipe.cup)
    if rows:
        if len(known) >= MOST_MADE:
            known.clear()
        known[recipe_id] = rows, pantry, found
    return found


def _told(session: Session, recipe_id: int) -> KeptRecipe:
    recipe = _recipe(session, recipe_id)
    return kept_recipe(recipe, pantry_in(session))


def _original(recipe: Recipe, pantry: Pantry) -> Formula:
    """Return a recipe's original with the oven that its method sets."""
    method = sound_method(recipe)
    formula = sound_version(recipe, original_of(recipe), pantry)
    told = "\n".join(step.text for step in method.steps)
    lines = with_foams(formula.lines, told)
    return replace(formula, lines=lines, oven=method.oven, bake_minutes=method.bake_minutes, method=told)


def stored_versions(database: Database, recipe_id: int, numbers: Sequence[int]) -> tuple[list[Formula], str]:
    """Return versions of a recipe by their number, and its cup standard."""
    with database.reading() as session:
        recipe = _recipe(session, recipe_id)
        by_number = {version.number: version for version in recipe.versions}
        for number in numbers:
            if number not in by_number:
                raise NotFoundError(f"this recipe has no version {number}", field="version")
        pantry = pantry_in(session)
        return [sound_version(recipe, by_number[number], pantry) for number in numbers], recipe.cup


def rework_recipe(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> TimedPlan:
    """Return the plan for a recipe's original; nothing is kept."""
    formula, own_cup, pantry = stored_formula(database, recipe_id)
    return plan(formula, goals, cup_standard(cup or own_cup), pantry)


def check_recipe(
    database: Database, recipe_id: int, families: Mapping[str, str], cup: str | None = None
) -> tuple[Checked, ...]:
    """Return a recipe's original judged by itself; *families* is what the baker says that its components are."""
    formula, own_cup, _ = stored_formula(database, recipe_id)
    return check(formula, families, cup_standard(cup or own_cup))


def keep_version(
    database: Database,
    recipe_id: int,
    goals: Goals,
    *,
    label: str = "",
    cup: str | None = None,
    client_key: str | None = None,
) -> KeptRecipe:
    """Compute the plan anew, keep it as the next version and return the recipe."""
    kept_goals = filled(goals).model_dump(mode="json")
    content = [recipe_id, kept_goals, label, cup]
    with database.transaction() as session:
        if made := made_before(session, client_key, "version", content):
            version = session.get(Version, made[0])
            if version is None:
                raise taken_away("version")
            return _made_recipe(session, version.recipe_id)
        recipe = _recipe(session, recipe_id)
        pantry = pantry_in(session)
        original = original_of(recipe)
        formula, own_cup = as_told(session, _original(recipe, pantry), recipe.cup)
        made_plan = plan(formula, goals, cup_standard(cup or own_cup), pantry)
        number = recipe.versions[-1].number + 1
        version = Version(
            recipe_id=recipe.id,
            number=number,
            label=label.strip() or f"Rework {number - 1}",
            servings=original.servings,
            unit=original.unit,
            status=made_plan.status,
            goals=kept_goals,
            portions=original.portions,
            own_yields=original.own_yields,
            created_at=now(session),
        )
        kept = [line for line in made_plan.lines if line.after_g > 0]
        version.lines = [_line_row(n, line, original) for n, line in enumerate(kept)]
        recipe.versions.append(version)
        recipe.revision += 1
        keep_figures(session, {version: sound_version(recipe, version, pantry)})
        note(session, client_key, "version", content, [version.id])
        return _told(session, recipe_id)


def keep_trial(session: Session, parent: Version, made: Trial, changed: str) -> Version:
    """Keep a trial as the next version of its recipe, hung on the version that it was tried from; in the caller's transaction."""
    recipe, pantry = parent.recipe, pantry_in(session)
    number = recipe.versions[-1].number + 1
    version = Version(
        recipe_id=recipe.id,
        number=number,
        label=f"Trial {number - 1}",
        servings=parent.servings,
        unit=parent.unit,
        status=made.plan.status if made.plan else parent.status,
        goals=filled(made.goals).model_dump(mode="json") if made.goals else parent.goals,
        portions=parent.portions,
        own_yields=parent.own_yields,
        own_words=parent.own_words,
        parent=parent.number,
        changed=changed,
        created_at=now(session),
    )
    version.lines = _trial_lines(made, parent, original_of(recipe))
    recipe.versions.append(version)
    recipe.revision += 1
    keep_figures(session, {version: sound_version(recipe, version, pantry)})
    session.flush()
    return version


def _trial_lines(made: Trial, parent: Version, original: Version) -> list[Line]:
    if made.plan is not None:
        return [_line_row(n, line, original) for n, line in enumerate(x for x in made.plan.lines if x.after_g > 0)]
    return [
        Line(
            position=n,
            component=line.component,
            ingredient=line.ingredient.key,
            grams=line.grams,
            text=was.text,
            is_crushed=was.is_crushed,
            reason=was.reason,
        )
        for n, (line, was) in enumerate(zip(made.formula.lines, parent.lines, strict=True))
    ]


def _line_row(n: int, line: PlanLine, original: Version) -> Line:
    """Return a line of a plan as a row; what is new is taken for broken up, as purées and syrups are."""
    was = None if line.position is None else original.lines[line.position]
    return Line(
        position=n,
        component=line.component,
        ingredient=line.ingredient,
        grams=line.after_g,
        text=was.text if was else "",
        is_crushed=was.is_crushed if was else True,
        reason=line.reason,
    )


def _recipe(session: Session, recipe_id: int) -> Recipe:
    recipe = session.get(Recipe, recipe_id)
    if recipe is None or recipe.deleted_at is not None:
        raise NotFoundError(f"no recipe {recipe_id} on the shelf", field="id")
    return recipe
