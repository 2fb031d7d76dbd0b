"""The shelf: recipes and their versions."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import asdict, replace
from functools import lru_cache
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session, object_session, selectinload

from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula, PortionKind, check_portions, portion_totals, served
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reading.steps import read_bake_minutes, read_oven
from sun_crumb.core.rework import Goals
from sun_crumb.core.sugars.savings import savings
from sun_crumb.services.clock import now
from sun_crumb.services.errors import ConflictError, NotFoundError
from sun_crumb.services.kitchen import PlainLine, formula_of, household_text, plan
from sun_crumb.services.pantry import pantry_in, pantry_of
from sun_crumb.services.views import View, amounts_view, analysis_view, savings_view, totals_view
from sun_crumb.store import Database
from sun_crumb.store.tables import Line, Recipe, Version

# What versions kept before these goals were known had in their place.
NEW_GOALS: dict[str, Any] = {
    "avoid": [],
    "eaters": [],
    "without": [],
    "including": [],
    "most_energy_kcal": None,
    "most_free_sugar_g": None,
    "most_cost": None,
    "amounts": [],
    "most_new": None,
    "caps": {},
    "flavours": None,
}


def keep_recipe(
    database: Database,
    *,
    title: str,
    source_text: str,
    cup: str,
    servings: int,
    unit: str,
    lines: Sequence[PlainLine],
    portions: Sequence[PortionKind] = (),
    own_yields: dict[str, int] | None = None,
    client_key: str | None = None,
) -> View:
    """Put a recipe on the shelf and return it. The same *client_key* again returns the first one."""
    cup_standard(cup)
    formula = formula_of(title, lines, servings, unit, pantry_of(database), own_yields)
    if formula.mass_g <= 0:
        raise CoreError("the recipe has no weighed line yet", field="lines")
    if portions:
        check_portions(formula, portions)
    with database.transaction() as session:
        if client_key and (found := session.scalar(select(Recipe).where(Recipe.client_key == client_key))):
            return _recipe_view(session, found.id)
        recipe = Recipe(
            title=title.strip() or "Untitled dessert",
            source_text=source_text,
            cup=cup,
            client_key=client_key,
            created_at=now(),
        )
        version = Version(
            number=1, label="Original", servings=servings, unit=unit, status="", goals=None, created_at=now()
        )
        version.portions = [asdict(kind) for kind in portions] or None
        version.own_yields = dict(formula.own_yields) or None
        version.lines = _line_rows(formula, [])
        recipe.versions = [version]
        session.add(recipe)
        session.flush()
        return _recipe_view(session, recipe.id)


def _line_rows(formula: Formula, reasons: list[str]) -> list[Line]:
    return [
        Line(
            position=n,
            component=line.component,
            ingredient=line.ingredient.key,
            grams=round(line.grams, 3),
            text=line.text,
            is_crushed=line.is_crushed,
            reason=reasons[n] if n < len(reasons) else "",
        )
        for n, line in enumerate(formula.lines)
    ]


def list_recipes(database: Database, query: str = "") -> list[View]:
    """Return the recipes on the shelf by title, each with its versions' figures per serving."""
    with database.transaction() as session:
        rows = session.scalars(
            select(Recipe)
            .where(Recipe.deleted_at.is_(None))
            .options(selectinload(Recipe.versions).selectinload(Version.lines))
            .order_by(Recipe.title)
        )
        words = query.lower().split()
        return [_summary(r) for r in rows if all(w in r.title.lower() for w in words)]


def get_recipe(database: Database, recipe_id: int) -> View:
    """Return one recipe with every version."""
    with database.transaction() as session:
        return _recipe_view(session, recipe_id)


def change_recipe(database: Database, recipe_id: int, revision: int, changes: dict[str, Any]) -> View:
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
                stored=_recipe_view(session, recipe_id),
            )
        if "title" in changes:
            recipe.title = changes["title"].strip() or recipe.title
        original = recipe.versions[0]
        if "servings" in changes or "unit" in changes:
            for version in recipe.versions:
                version.servings = changes.get("servings", version.servings)
                version.unit = changes.get("unit", version.unit)
        if "lines" in changes:
            formula = formula_of(recipe.title, changes["lines"], original.servings, original.unit, pantry_in(session))
            original.lines.clear()
            session.flush()
            original.lines = _line_rows(formula, [])
        if "own_yields" in changes:
            for version in recipe.versions:
                version.own_yields = {c: n for c, n in changes["own_yields"].items() if n != version.servings} or None
                _formula(recipe, version)
        if "portions" in changes:
            for version in recipe.versions:
                if changes["portions"]:
                    check_portions(_formula(recipe, version), changes["portions"])
                version.portions = [asdict(kind) for kind in changes["portions"]] or None
        elif "servings" in changes:
            for version in recipe.versions:
                version.portions = None
        recipe.revision += 1
        session.flush()
        return _recipe_view(session, recipe_id)


def delete_recipe(database: Database, recipe_id: int) -> None:
    """Take a recipe off the shelf; restore_recipe brings it back."""
    with database.transaction() as session:
        _recipe(session, recipe_id).deleted_at = now()


def restore_recipe(database: Database, recipe_id: int) -> View:
    """Put a recipe back on the shelf."""
    with database.transaction() as session:
        recipe = session.get(Recipe, recipe_id)
        if recipe is None:
            raise NotFoundError(f"no recipe {recipe_id}", field="id")
        recipe.deleted_at = None
        return _recipe_view(session, recipe_id)


def stored_formula(database: Database, recipe_id: int) -> tuple[Formula, str, Pantry]:
    """Return a recipe's original, its cup standard, and the household's pantry."""
    with database.transaction() as session:
        recipe = _recipe(session, recipe_id)
        formula = replace(_formula(recipe, recipe.versions[0]), **_method(recipe.source_text))
        return formula, recipe.cup, pantry_in(session)


@lru_cache(maxsize=64)
def _method(source_text: str) -> dict[str, Any]:
    """Return what the recipe's own words say of the oven."""
    return {"oven": read_oven(source_text), "bake_minutes": read_bake_minutes(source_text)}


def stored_versions(database: Database, recipe_id: int, numbers: Sequence[int]) -> tuple[list[Formula], str]:
    """Return versions of a recipe by their number, and its cup standard."""
    with database.transaction() as session:
        recipe = _recipe(session, recipe_id)
        by_number = {version.number: version for version in recipe.versions}
        for number in numbers:
            if number not in by_number:
                raise NotFoundError(f"this recipe has no version {number}", field="version")
        return [_formula(recipe, by_number[number]) for number in numbers], recipe.cup


def rework_recipe(database: Database, recipe_id: int, goals: Goals, cup: str | None = None) -> View:
    """Return the plan for a recipe's original; nothing is kept."""
    formula, own_cup, pantry = stored_formula(database, recipe_id)
    return plan(formula, goals, cup_standard(cup or own_cup), pantry)


def keep_version(
    database: Database,
    recipe_id: int,
    goals: Goals,
    *,
    label: str = "",
    cup: str | None = None,
    client_key: str | None = None,
) -> View:
    """Compute the plan anew, keep it as the next version and return the recipe."""
    with database.transaction() as session:
        recipe = _recipe(session, recipe_id)
        if client_key and session.scalar(select(Version.id).where(Version.client_key == client_key)):
            return _recipe_view(session, recipe_id)
        original = recipe.versions[0]
        pantry = pantry_in(session)
        made = plan(
            replace(_formula(recipe, original), **_method(recipe.source_text)),
            goals,
            cup_standard(cup or recipe.cup),
            pantry,
        )
        number = recipe.versions[-1].number + 1
        version = Version(
            recipe_id=recipe.id,
            number=number,
            label=label.strip() or f"Rework {number - 1}",
            servings=original.servings,
            unit=original.unit,
            status=made["status"],
            goals=_goals_view(goals),
            client_key=client_key,
            created_at=now(),
        )
        version.portions = original.portions
        version.own_yields = original.own_yields
        kept = [line for line in made["lines"] if line["after_g"] > 0]
        version.lines = [
            Line(
                position=n,
                component=line["component"],
                ingredient=pantry[line["ingredient"]].key,
                grams=line["after_g"],
                text=original.lines[line["position"]].text if line["position"] is not None else "",
                is_crushed=original.lines[line["position"]].is_crushed if line["position"] is not None else True,
                reason=line["reason"],
            )
            for n, line in enumerate(kept)
        ]
        recipe.versions.append(version)
        recipe.revision += 1
        session.flush()
        return _recipe_view(session, recipe_id)


def _goals_view(goals: Goals) -> dict[str, Any]:
    return {
        "path": goals.path,
        "cut": goals.wanted_cut,
        "keep_sweet": goals.wanted_sweetness,
        "definition": goals.counted,
        "diets": list(goals.diets),
        "cupboard": None if goals.cupboard is None else list(goals.cupboard),
        "avoid": list(goals.avoid),
        "eaters": list(goals.eaters),
        "without": list(goals.without),
        "including": list(goals.including),
        "most_energy_kcal": goals.most_energy_kcal,
        "most_free_sugar_g": goals.most_free_sugar_g,
        "most_cost": goals.most_cost,
        "families": goals.families,
        "locks": {str(k): v for k, v in goals.locks.items()},
        "amounts": amounts_view(goals.amounts),
        "most_new": goals.most_new,
        "caps": goals.caps,
        "flavours": None if goals.flavours is None else list(goals.flavours),
    }


def _recipe(session: Session, recipe_id: int) -> Recipe:
    recipe = session.get(Recipe, recipe_id)
    if recipe is None or recipe.deleted_at is not None:
        raise NotFoundError(f"no recipe {recipe_id} on the shelf", field="id")
    return recipe


def _formula(recipe: Recipe, version: Version) -> Formula:
    lines = [PlainLine(x.ingredient, x.grams, x.component, x.text, x.is_crushed) for x in version.lines]
    session = object_session(recipe)
    assert session is not None
    held = {line.component for line in lines}
    own = {c: n for c, n in (version.own_yields or {}).items() if c in held}
    return formula_of(recipe.title, lines, version.servings, version.unit, pantry_in(session), own)


def version_formula(version: Version) -> Formula:
    """Return a stored version as a formula."""
    return _formula(version.recipe, version)


def portion_kinds(version: Version) -> list[PortionKind]:
    """Return the kinds of portion that a version is cut into; empty for one kind."""
    return [PortionKind(k["name"], k["count"], tuple(k["components"])) for k in version.portions or ()]


def _version_view(recipe: Recipe, version: Version, original: Formula) -> View:
    formula = _formula(recipe, version)
    saved = savings(served(original), served(formula), formula.servings)
    analysis = analysis_view(formula)
    return {
        "id": version.id,
        "number": version.number,
        "label": version.label,
        "status": version.status,
        "servings": version.servings,
        "unit": version.unit,
        "goals": NEW_GOALS | version.goals if version.goals is not None else None,
        "created_at": version.created_at.isoformat(),
        "per_serving": analysis["per_serving"],
        "batch": analysis["batch"],
        "own_yields": version.own_yields or {},
        "saved_per_serving": savings_view(saved),
        "portions": [
            {"name": name, "count": kind.count, "components": list(kind.components), "holds": totals_view(holds)}
            for kind, (name, holds) in zip(kinds, portion_totals(formula, kinds).items(), strict=True)
        ]
        if (kinds := portion_kinds(version))
        else [],
    }


def _summary(recipe: Recipe) -> View:
    original = _formula(recipe, recipe.versions[0])
    return {
        "id": recipe.id,
        "title": recipe.title,
        "revision": recipe.revision,
        "cup": recipe.cup,
        "versions": [_version_view(recipe, v, original) for v in recipe.versions],
    }


def _recipe_view(session: Session, recipe_id: int) -> View:
    recipe = _recipe(session, recipe_id)
    view = _summary(recipe)
    view["source_text"] = recipe.source_text
    pantry = pantry_in(session)
    for shown, version in zip(view["versions"], recipe.versions, strict=True):
        shown["lines"] = [
            {
                "component": line.component,
                "ingredient": line.ingredient,
                "name": pantry[line.ingredient].name,
                "grams": line.grams,
                "amount": grams_text(line.grams),
                "household": household_text(pantry[line.ingredient], line.grams, recipe.cup),
                "text": line.text,
                "is_crushed": line.is_crushed,
                "reason": line.reason,
            }
            for line in version.lines
        ]
    return view
