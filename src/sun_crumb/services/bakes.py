"""Bakes: what was made on a day, what was really done, what a portion of it holds; pictures of it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, fields, replace
from datetime import date
from typing import Any

from sqlalchemy import ColumnElement, func, select
from sqlalchemy.orm import Session, joinedload, selectinload

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import Formula, PortionKind, portion_totals
from sun_crumb.core.kitchen.weighing import as_weighed
from sun_crumb.core.sugars.savings import savings
from sun_crumb.formats.pictures import Picture, read_picture
from sun_crumb.services.bowl import true_weights
from sun_crumb.services.clock import now, past_day
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.soundness import original_of, portion_kinds, sound_version
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, BakePortion, Photo, Recipe, Serving, Version

# The words for a batter, and what they are worth to the learner: one that holds its shape, drops from the spoon in two or three seconds, pours.
FEELS = {"": None, "holds": -1, "drops": 0, "pours": 1}


@dataclass(frozen=True, slots=True)
class Sums:
    """What portions hold and save: energy [kcal], sugars by every definition [g]."""

    energy_kcal: float
    total_sugars_g: float
    free_sugars_who_g: float
    refined_sugar_g: float
    added_sugars_us_g: float
    free_sugars_uk_g: float
    saved_energy_kcal: float
    saved_total_sugars_g: float
    saved_free_sugars_who_g: float
    saved_refined_sugar_g: float
    saved_added_sugars_us_g: float
    saved_free_sugars_uk_g: float


SUMS = tuple(field.name for field in fields(Sums))


@dataclass(frozen=True, slots=True, kw_only=True)
class BakedPortion(Sums):
    """One kind of portion of a bake and what one of it holds; those of one bake have the same ``event_id``."""

    id: int
    event_id: int
    recipe_id: int
    version_id: int
    title: str
    label: str
    unit: str
    baked_on: date
    servings: int
    eaten: float
    portion_g: float
    original_g: float


def bake(database: Database, version_id: int, baked_on: date, client_key: str | None = None) -> list[BakedPortion]:
    """Note that a version was baked and return its portions, one entry for each kind of portion.

    The same *client_key* again returns the first ones.
    """
    content = [version_id, baked_on.isoformat()]
    with database.transaction() as session:
        if made := made_before(session, client_key, "bake", content):
            found = session.scalars(select(BakePortion).where(BakePortion.id.in_(made)).order_by(BakePortion.id)).all()
            if not found:
                raise taken_away("bake")
            return [baked_portion(session, row) for row in found]
        past_day(session, baked_on, "baked_on")
        version = session.get(Version, version_id)
        if version is None or version.recipe.deleted_at is not None:
            raise NotFoundError(f"no version {version_id}", field="version_id")
        pantry = pantry_in(session)
        formula = sound_version(version.recipe, version, pantry)
        original = sound_version(version.recipe, original_of(version.recipe), pantry)
        kinds = portion_kinds(version) or [PortionKind("", formula.servings, formula.components)]
        # What was weighed at the worktop is what was baked.
        weights = true_weights(session, version.recipe_id, version.id, baked_on, database)
        baked = Bake(
            version_id=version.id,
            baked_on=baked_on,
            weights={str(k): v for k, v in weights.items()} or None,
            created_at=now(session),
        )
        baked.portions = _portions(original, as_weighed(formula, weights), kinds)
        session.add(baked)
        session.flush()
        note(session, client_key, "bake", content, [row.id for row in baked.portions])
        return [baked_portion(session, row) for row in baked.portions]


def _portions(original: Formula, baked: Formula, kinds: Sequence[PortionKind]) -> list[BakePortion]:
    """Return what one portion of each kind holds, saves against as many grams of the original, and weighs there."""
    usual = {kind.name: kind.count for kind in kinds}
    own = [replace(kind, count=original.servings) if not kind.name else kind for kind in kinds]
    before, after = portion_totals(original, own), portion_totals(baked, kinds)
    return [
        BakePortion(
            kind=name,
            servings=usual[name],
            portion_g=one.mass_g,
            original_g=before[name].mass_g,
            **{field: getattr(one, field) for field in KEPT},
            **{f"saved_{field}": getattr(savings(before[name], one, 1), field) for field in KEPT},
        )
        for name, one in after.items()
    ]


# What is kept of a portion, by the names of Totals; what it saves has the same names.
KEPT = (
    "energy_kcal",
    "total_sugars_g",
    "free_sugars_who_g",
    "refined_sugar_g",
    "added_sugars_us_g",
    "free_sugars_uk_g",
)


def baked_portion(session: Session, row: BakePortion) -> BakedPortion:
    baked = row.bake
    version = baked.version or session.get_one(Version, baked.version_id)
    eaten = session.scalar(
        select(func.coalesce(func.sum(Serving.count), 0.0)).where(
            Serving.portion_id == row.id, Serving.deleted_at.is_(None)
        )
    )
    return BakedPortion(
        id=row.id,
        event_id=baked.id,
        recipe_id=version.recipe_id,
        version_id=version.id,
        title=version.recipe.title,
        label=label_of(version, row),
        unit=version.unit,
        baked_on=baked.baked_on,
        servings=row.servings,
        eaten=eaten or 0.0,
        portion_g=row.portion_g,
        original_g=row.original_g or row.portion_g,
        **sums_of(row),
    )


def sums_of(row: BakePortion, times: float = 1.0) -> dict[str, float]:
    """Return what portions hold and save; by WHO's free sugars where an earlier release kept no other definition."""
    found = {}
    for name in SUMS:
        value = getattr(row, name)
        found[name] = times * (getattr(row, FALLBACK[name]) if value is None else value)
    return found


# What stands for a definition that an earlier release did not keep.
FALLBACK = {
    **{name: name for name in SUMS},
    **dict.fromkeys(("refined_sugar_g", "added_sugars_us_g", "free_sugars_uk_g"), "free_sugars_who_g"),
    **dict.fromkeys(
        ("saved_refined_sugar_g", "saved_added_sugars_us_g", "saved_free_sugars_uk_g"), "saved_free_sugars_who_g"
    ),
}


def column_of(name: str) -> ColumnElement[float]:
    """Return the column of one of SUMS as SQL, with what stands for it where it was not kept."""
    return func.coalesce(getattr(BakePortion, name), getattr(BakePortion, FALLBACK[name]))


def label_of(version: Version, row: BakePortion) -> str:
    return f"{version.label}, {row.kind}" if row.kind else version.label


@dataclass(frozen=True, slots=True, kw_only=True)
class BakeRecord:
    """A bake with what was really done, and how it was liked (0 to 3, None before any tasting)."""

    id: int
    recipe_id: int
    version_id: int
    number: int
    title: str
    label: str
    unit: str
    baked_on: date
    tin: str
    oven_c: float | None
    minutes: float | None
    swapped: str
    feel: str
    notes: str
    leftovers: float | None
    cost: float | None
    is_weighed: bool
    portions: tuple[BakedPortion, ...]
    photos: tuple[int, ...]
    tastings: int
    liked: float | None


@dataclass(frozen=True, slots=True)
class BakeList:
    """Some of the bakes, the last first, and how many there are."""

    total: int
    bakes: tuple[BakeRecord, ...]


@dataclass(frozen=True, slots=True)
class ChangedBake:
    """A bake after a change, and what became of its figures, in words; empty where they were not touched."""

    bake: BakeRecord
    figures: str


MOST_LISTED = 60


def list_bakes(database: Database, start: int = 0, count: int = 20, recipe_id: int | None = None) -> BakeList:
    """Return *count* bakes from *start* on, the last first; of one recipe where it is named."""
    with database.reading() as session:
        there = select(Bake.id).join(Version).join(Recipe).where(Bake.deleted_at.is_(None), Recipe.deleted_at.is_(None))
        if recipe_id is not None:
            there = there.where(Version.recipe_id == recipe_id)
        total = session.scalar(select(func.count()).select_from(there.subquery())) or 0
        ids = session.scalars(
            there.order_by(Bake.baked_on.desc(), Bake.id.desc()).offset(start).limit(min(count, MOST_LISTED))
        ).all()
        rows = session.scalars(
            select(Bake)
            .where(Bake.id.in_(ids))
            .options(
                selectinload(Bake.portions),
                selectinload(Bake.tastings),
                joinedload(Bake.version).joinedload(Version.recipe),
            )
        ).all()
        place = {number: n for n, number in enumerate(ids)}
        photos = _photos_of(session, ids)
        ordered = sorted(rows, key=lambda row: place[row.id])
        return BakeList(total, tuple(_record(session, row, photos.get(row.id, ())) for row in ordered))


def get_bake(database: Database, bake_id: int) -> BakeRecord:
    """Return one bake."""
    with database.reading() as session:
        return record_of(session, bake_in(session, bake_id))


def bake_in(session: Session, bake_id: int, *, is_there: bool = True) -> Bake:
    """Return a stored bake; raise NotFoundError where there is none, or it was put away."""
    row = session.get(Bake, bake_id)
    if row is None or (is_there and row.deleted_at is not None):
        raise NotFoundError(f"no bake {bake_id}", field="bake_id")
    return row


def record_of(session: Session, row: Bake) -> BakeRecord:
    """Return a stored bake as a record."""
    return _record(session, row, _photos_of(session, [row.id]).get(row.id, ()))


def _photos_of(session: Session, ids: Sequence[int]) -> dict[int, tuple[int, ...]]:
    found: dict[int, tuple[int, ...]] = {}
    for bake_id, photo_id in session.execute(
        select(Photo.bake_id, Photo.id).where(Photo.bake_id.in_(ids), Photo.deleted_at.is_(None)).order_by(Photo.id)
    ):
        found[bake_id] = (*found.get(bake_id, ()), photo_id)
    return found


def _record(session: Session, row: Bake, photos: tuple[int, ...]) -> BakeRecord:
    version = row.version
    tasted = [t for t in row.tastings if t.deleted_at is None]
    liked = [t.scores["liked"] for t in tasted if "liked" in t.scores]
    return BakeRecord(
        id=row.id,
        recipe_id=version.recipe_id,
        version_id=version.id,
        number=version.number,
        title=version.recipe.title,
        label=version.label,
        unit=version.unit,
        baked_on=row.baked_on,
        **{name: getattr(row, name) for name in DONE},
        is_weighed=bool(row.weights),
        portions=tuple(baked_portion(session, portion) for portion in row.portions),
        photos=photos,
        tastings=len(tasted),
        liked=sum(liked) / len(liked) if liked else None,
    )


# What is noted of a bake beside its figures.
DONE = ("tin", "oven_c", "minutes", "swapped", "feel", "notes", "leftovers", "cost")


def change_bake(
    database: Database, bake_id: int, changes: dict[str, Any], pieces: int | None = None, *, anew: bool = False
) -> ChangedBake:
    """Note what was done at a bake, and into how many pieces it was cut.

    Parameters
    ----------
    changes
        Fields of DONE to set.
    pieces
        The number of portions that it made in truth, where it has one kind of portion.
    anew
        Whether portions that were eaten already are counted anew by it; else they keep the figures of then.

    Raises
    ------
    OutOfDomainError
        It has several kinds of portion, each with its own number.
    """
    with database.transaction() as session:
        row = bake_in(session, bake_id)
        for name, value in changes.items():
            setattr(row, name, value)
        figures = "" if pieces is None else _cut_into(session, row, pieces, anew=anew)
        session.flush()
        return ChangedBake(record_of(session, row), figures)


def _cut_into(session: Session, row: Bake, pieces: int, *, anew: bool) -> str:
    if len(row.portions) != 1:
        raise OutOfDomainError(
            "it was cut into several kinds of portion; change their numbers on the recipe", field="pieces"
        )
    one = row.portions[0]
    if one.servings == pieces:
        return ""
    eaten = session.scalar(
        select(func.coalesce(func.sum(Serving.count), 0.0)).where(
            Serving.portion_id == one.id, Serving.deleted_at.is_(None)
        )
    )
    factor, was = one.servings / pieces, one.servings
    if eaten and not anew:
        # A row of its own for what is eaten from now on; what was eaten keeps its figures.
        fresh = BakePortion(kind=f"{pieces} pieces", servings=pieces, original_g=one.original_g)
        _scaled(one, fresh, factor)
        row.portions.append(fresh)
        return (
            f"{eaten:g} portions were eaten as one of {was}: they keep their figures; from now on it is one of {pieces}"
        )
    one.servings = pieces
    _scaled(one, one, factor)
    return (
        f"the figures of {eaten:g} portions that were eaten were counted anew: one of {pieces}"
        if eaten
        else f"a portion is one of {pieces} now"
    )


def _scaled(source: BakePortion, target: BakePortion, factor: float) -> None:
    for name in ("portion_g", *KEPT, *(f"saved_{field}" for field in KEPT)):
        value = getattr(source, name)
        setattr(target, name, None if value is None else value * factor)


def remove_bake(database: Database, bake_id: int) -> None:
    """Put away a bake that was noted by mistake; restore_bake undoes it. What was eaten of it must be taken back first."""
    with database.transaction() as session:
        row = bake_in(session, bake_id)
        eaten = session.scalar(
            select(func.count(Serving.id))
            .join(BakePortion, Serving.portion_id == BakePortion.id)
            .where(BakePortion.bake_id == row.id, Serving.deleted_at.is_(None))
        )
        if eaten:
            raise OutOfDomainError(
                f"of this bake {eaten} notes of portions eaten are in the ledger; take those back first",
                field="bake_id",
            )
        row.deleted_at = now(session)


def restore_bake(database: Database, bake_id: int) -> BakeRecord:
    """Bring back a bake that was put away."""
    with database.transaction() as session:
        row = bake_in(session, bake_id, is_there=False)
        row.deleted_at = None
        return record_of(session, row)


MOST_PHOTOS = 12


def add_photo(database: Database, bake_id: int, content: str, client_key: str | None = None) -> int:
    """Keep a picture of a bake and return its number; *content* is base64."""
    picture: Picture = read_picture(content)
    with database.transaction() as session:
        if made := made_before(session, client_key, "photo", [bake_id, picture.jpeg.hex()[:64]]):
            found = session.get(Photo, made[0])
            if found is None or found.deleted_at is not None:
                raise taken_away("picture")
            return found.id
        row = bake_in(session, bake_id)
        if len(_photos_of(session, [row.id]).get(row.id, ())) >= MOST_PHOTOS:
            raise OutOfDomainError(f"a bake has at most {MOST_PHOTOS} pictures", field="bake_id")
        photo = Photo(
            bake_id=row.id, jpeg=picture.jpeg, width=picture.width, height=picture.height, created_at=now(session)
        )
        session.add(photo)
        session.flush()
        note(session, client_key, "photo", [bake_id, picture.jpeg.hex()[:64]], [photo.id])
        return photo.id


def photo_of(database: Database, photo_id: int) -> bytes:
    """Return a kept picture as JPEG."""
    with database.reading() as session:
        return _photo(session, photo_id, is_there=True).jpeg


def remove_photo(database: Database, photo_id: int) -> None:
    """Take a picture out of sight; restore_photo undoes it."""
    with database.transaction() as session:
        _photo(session, photo_id, is_there=True).deleted_at = now(session)


def restore_photo(database: Database, photo_id: int) -> None:
    """Bring back a picture."""
    with database.transaction() as session:
        _photo(session, photo_id, is_there=False).deleted_at = None


def _photo(session: Session, photo_id: int, *, is_there: bool) -> Photo:
    row = session.get(Photo, photo_id)
    if row is None or (is_there and row.deleted_at is not None):
        raise NotFoundError(f"no picture {photo_id}", field="photo_id")
    return row
