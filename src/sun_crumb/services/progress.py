"""Where a dessert stands: its versions as a tree with what changed and how it scored, a taper, what was learned about it."""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import date

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from sun_crumb.core.balance import nature_of
from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.formula import Formula, served, total
from sun_crumb.core.labelling.panel import Panel, panels
from sun_crumb.core.sugars.claims import Claim, claims
from sun_crumb.core.tasting.sheet import together, words_of
from sun_crumb.core.tasting.taper import LIKED, Stand, Tried, where_we_stand
from sun_crumb.core.wish import Goals, paths
from sun_crumb.services.clock import now
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.recipes import keep_version
from sun_crumb.services.soundness import original_of, portion_kinds, sound_version
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, Recipe, Taper, Version


@dataclass(frozen=True, slots=True)
class Branch:
    """A version in the tree: what it was tried from and what was changed, how often it was baked, how it scored, whether it is the best."""

    version_id: int
    number: int
    label: str
    parent: int | None
    changed: str
    cut: float
    free_sugar_g: float
    bakes: int
    tastings: int
    mean: dict[str, float]
    said: tuple[str, ...]
    liked: float | None
    is_best: bool


@dataclass(frozen=True, slots=True)
class Taken:
    """A taper under way, and where it stands."""

    id: int
    target: float
    path: str
    stand: Stand


@dataclass(frozen=True, slots=True)
class Progress:
    """A dessert's versions, its taper where there is one, and what was learned about it in a few lines."""

    recipe_id: int
    title: str
    branches: tuple[Branch, ...]
    taper: Taken | None
    lines: tuple[str, ...]


def progress(database: Database, recipe_id: int) -> Progress:
    """Return where a dessert stands."""
    with database.reading() as session:
        recipe = _recipe(session, recipe_id)
        branches = _branches(session, recipe)
        return Progress(recipe.id, recipe.title, branches, _taper(session, recipe.id, branches), _lines(branches))


def _recipe(session: Session, recipe_id: int) -> Recipe:
    recipe = session.get(Recipe, recipe_id)
    if recipe is None or recipe.deleted_at is not None:
        raise NotFoundError(f"no recipe {recipe_id}", field="recipe_id")
    return recipe


def _branches(session: Session, recipe: Recipe) -> tuple[Branch, ...]:
    pantry = pantry_in(session)
    original = sound_version(recipe, original_of(recipe), pantry)
    bakes = session.scalars(
        select(Bake)
        .join(Version)
        .where(Version.recipe_id == recipe.id, Bake.deleted_at.is_(None))
        .options(selectinload(Bake.tastings))
        .order_by(Bake.baked_on, Bake.id)
    ).all()
    found = []
    for version in recipe.versions:
        mine = [bake for bake in bakes if bake.version_id == version.id]
        sheets = [dict(t.scores) for bake in mine for t in bake.tastings if t.deleted_at is None]
        mean = together(sheets)
        formula = sound_version(recipe, version, pantry)
        found.append(
            Branch(
                version_id=version.id,
                number=version.number,
                label=version.label,
                parent=version.parent if version.number > 1 and version.parent else (1 if version.number > 1 else None),
                changed=version.changed,
                cut=_cut(original, formula),
                free_sugar_g=served(formula).free_sugars_who_g / formula.servings,
                bakes=len(mine),
                tastings=len(sheets),
                mean=mean,
                said=words_of({k: v for k, v in mean.items() if k != "liked"}),
                liked=mean.get("liked"),
                is_best=False,
            )
        )
    best = _best(found)
    return tuple(one if one is not best else _marked(one) for one in found)


def _cut(original: Formula, formula: Formula) -> float:
    """Return how much of the original's free sugar a version cuts, gram for gram."""
    before, after = served(original), served(formula)
    if before.free_sugars_who_g <= 0:
        return 0.0
    return 1 - (after.free_sugars_who_g / after.mass_g) / (before.free_sugars_who_g / before.mass_g)


def _best(branches: list[Branch]) -> Branch | None:
    """Return the version that is liked best; of those liked alike, the one with the least sugar. None before any tasting."""
    told = [one for one in branches if one.liked is not None]
    return max(told, key=lambda one: (round(one.liked or 0.0, 1), one.cut), default=None)


def _marked(one: Branch) -> Branch:
    return replace(one, is_best=True)


def _lines(branches: tuple[Branch, ...]) -> tuple[str, ...]:
    """Return what was learned about a dessert, in five lines at most."""
    told = [one for one in branches if one.liked is not None]
    if not told:
        return ()
    best = next(one for one in branches if one.is_best)
    less = f"{100 * best.cut:.0f} % less free sugar, " if best.cut >= TOLD_CUT else ""
    lines = [f"Liked best: {best.label}, {less}{best.free_sugar_g:.0f} g a portion."]
    liked = [one for one in told if (one.liked or 0.0) >= LIKED]
    far = max(liked, key=lambda one: one.cut, default=None)
    if far and far.cut >= TOLD_CUT:
        lines.append(f"As far as {100 * far.cut:.0f} % less is gladly eaten again.")
    disliked = [one for one in told if (one.liked or 0.0) < 1.0]
    if disliked:
        near = min(disliked, key=lambda one: one.cut)
        lines.append(
            f"{near.label} ({100 * near.cut:.0f} % less) was not liked: {', '.join(near.said) or 'nobody said why'}."
        )
    helped = [
        (child, parent)
        for child in told
        for parent in told
        if child.parent == parent.number and child.changed and (child.liked or 0) > (parent.liked or 0) + 0.3
    ]
    if helped:
        child, _ = max(helped, key=lambda pair: (pair[0].liked or 0) - (pair[1].liked or 0))
        lines.append(f"What helped: {child.changed}.")
    still = list(best.said)
    lines.append(
        f"Still to mend: {', '.join(still)}."
        if still
        else f"{sum(one.bakes for one in branches)} bakes, {sum(one.tastings for one in told)} tastings."
    )
    return tuple(lines[:5])


def _taper(session: Session, recipe_id: int, branches: tuple[Branch, ...]) -> Taken | None:
    row = session.scalar(
        select(Taper).where(Taper.recipe_id == recipe_id, Taper.ended_at.is_(None)).order_by(Taper.id.desc())
    )
    if row is None:
        return None
    # What was baked on no step of it and never tasted says nothing, and holds nothing up.
    tried = [
        Tried(max(min(one.cut, 1.0), 0.0), one.liked)
        for one in branches
        if one.number > 1 and one.bakes and (one.liked is not None or one.changed.startswith(STEP))
    ]
    return Taken(row.id, row.target, row.path, where_we_stand(tried, row.target))


def begin_taper(database: Database, recipe_id: int, target: float, path: str = "less") -> Progress:
    """Begin a taper toward a cut; one that is under way ends."""
    require_choice(path, paths(), "path")
    if not 0 < target <= 1:
        raise OutOfDomainError("a taper aims at a cut between 1 and 100 %", field="target")
    with database.transaction() as session:
        recipe = _recipe(session, recipe_id)
        for row in session.scalars(select(Taper).where(Taper.recipe_id == recipe.id, Taper.ended_at.is_(None))):
            row.ended_at = now(session)
        session.add(Taper(recipe_id=recipe.id, target=target, path=path, created_at=now(session)))
    return progress(database, recipe_id)


def end_taper(database: Database, recipe_id: int) -> Progress:
    """End a taper; its versions stay."""
    with database.transaction() as session:
        for row in session.scalars(select(Taper).where(Taper.recipe_id == recipe_id, Taper.ended_at.is_(None))):
            row.ended_at = now(session)
    return progress(database, recipe_id)


def next_step(database: Database, recipe_id: int, client_key: str | None = None) -> int:
    """Keep the taper's next cut as a version and return its number in the store.

    Raises
    ------
    OutOfDomainError
        No taper is under way, or it asks for a tasting first, or there is nothing further to try.
    """
    found = progress(database, recipe_id)
    if found.taper is None:
        raise OutOfDomainError("no taper is under way for this recipe", field="recipe_id")
    stand = found.taper.stand
    if stand.state in ("hold", "stop", "there"):
        raise OutOfDomainError(stand.words, field="recipe_id")
    goals = Goals(path=found.taper.path, cut=stand.next_cut)
    kept = keep_version(database, recipe_id, goals, label=f"Taper {100 * stand.next_cut:.0f} %", client_key=client_key)
    with database.transaction() as session:
        version = session.get_one(Version, kept.versions[-1].id)
        version.changed = f"{STEP} to {100 * stand.next_cut:.0f} % less"
        near = [
            one for one in found.branches if one.liked is not None and one.liked >= LIKED and one.cut <= stand.next_cut
        ]
        version.parent = max(near, key=lambda one: one.cut).number if near else 1
        return version.id


# What a version that is a step of a taper is said to have changed.
STEP = "taper"
# A smaller cut is none [share].
TOLD_CUT = 0.02


@dataclass(frozen=True, slots=True)
class Panels:
    """A version's nutrition panels."""

    version_id: int
    title: str
    label: str
    us: Panel
    eu: Panel
    claims: tuple[Claim, ...]


def panels_of(database: Database, version_id: int) -> Panels:
    """Return a version's nutrition panels for its usual portion."""
    with database.reading() as session:
        version = session.get(Version, version_id)
        if version is None or version.recipe.deleted_at is not None:
            raise NotFoundError(f"no version {version_id}", field="version_id")
        formula = sound_version(version.recipe, version, pantry_in(session))
        kinds = portion_kinds(version)
        count = kinds[0].count if kinds else formula.servings
        us, eu = panels(formula, formula.mass_g / count)
        original = sound_version(version.recipe, original_of(version.recipe), pantry_in(session))
        kins = [nature_of(formula, c).family.kin for c in formula.components]
        said = claims(total(original.lines), total(formula.lines), formula.lines, count, original.lines, kins)
        return Panels(version.id, version.recipe.title, version.label, us, eu, tuple(said))


@dataclass(frozen=True, slots=True)
class ToTaste:
    """A bake that nobody has tasted yet."""

    bake_id: int
    title: str
    label: str
    baked_on: date


def untasted(database: Database, days: int = 10) -> tuple[ToTaste, ...]:
    """Return the bakes of the last days that have no sheet, the last first."""
    today = database.clock.today()
    with database.reading() as session:
        rows = session.scalars(
            select(Bake)
            .join(Version)
            .join(Recipe)
            .where(Bake.deleted_at.is_(None), Recipe.deleted_at.is_(None), Bake.baked_on <= today)
            .options(selectinload(Bake.tastings))
            .order_by(Bake.baked_on.desc(), Bake.id.desc())
            .limit(30)
        ).all()
        return tuple(
            ToTaste(row.id, row.version.recipe.title, row.version.label, row.baked_on)
            for row in rows
            if (today - row.baked_on).days <= days and not any(t.deleted_at is None for t in row.tastings)
        )
