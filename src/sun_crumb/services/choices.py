"""The choices that the screens offer."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace
from math import exp

from sun_crumb.core.balance import families
from sun_crumb.core.pantry import Ingredient, diets
from sun_crumb.core.quantities.measures import CupStandard, cup_standards
from sun_crumb.core.reference import constant, table
from sun_crumb.core.wish import CAPS, DEFINITIONS, Goals, Path, eaters, paths
from sun_crumb.schemas.recipes import GoalsIn
from sun_crumb.services.pantry import hidden_products, pantry_of
from sun_crumb.services.wishes import filled
from sun_crumb.store import Database
from sun_crumb.store.tables import Learned

LIMITS = (
    ("limit_who_low", "WHO, 5 % of energy"),
    ("limit_uk_adult", "UK, adults"),
    ("limit_who_high", "WHO, 10 % of energy"),
)


@dataclass(frozen=True, slots=True)
class Named:
    """A key and what it is called."""

    key: str
    name: str


@dataclass(frozen=True, slots=True)
class PathChoice:
    """A path with the wish that it begins with, and the sweeteners that it takes."""

    key: str
    name: str
    words: str
    usual: tuple[str, ...]
    preset: GoalsIn
    most_new: int
    sweeteners: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class FamilyChoice:
    """A kind of dessert, and the most of each kind of sweetener that its batter takes, as shares."""

    key: str
    name: str
    caps: Mapping[str, float]


@dataclass(frozen=True, slots=True)
class Limit:
    """A daily limit of free sugar [g]."""

    grams: float
    name: str


@dataclass(frozen=True, slots=True)
class Choices:
    """What can be chosen."""

    paths: tuple[PathChoice, ...]
    definitions: tuple[Named, ...]
    families: tuple[FamilyChoice, ...]
    caps: tuple[Named, ...]
    diets: tuple[Named, ...]
    allergens: tuple[Named, ...]
    eaters: tuple[Named, ...]
    cups: tuple[CupStandard, ...]
    sweeteners: tuple[Ingredient, ...]
    limits: tuple[Limit, ...]


# From so many answers on a household's own wish counts, and no further from the originals than this (judgement).
LEAST_ANSWERS, LEAST_LIKED, MOST_LIKED = 3, 0.6, 1.15


def _liked_sweetness(database: Database) -> float:
    """Return how sweet this household likes things against the originals, as its tastings taught; 1 before they did."""
    with database.reading() as session:
        found = session.get(Learned, "preference")
        if found is None or found.answers < LEAST_ANSWERS:
            return 1.0
        return min(max(exp(found.mean), LEAST_LIKED), MOST_LIKED)


def choices(database: Database) -> Choices:
    """Return what can be chosen: paths, definitions, families, diets, cups, sweeteners, daily limits."""
    hidden = hidden_products(database)
    pantry = [i for i in pantry_of(database) if i.key not in hidden]
    liked = _liked_sweetness(database)
    return Choices(
        paths=tuple(_path(path, pantry, liked) for path in paths().values()),
        definitions=tuple(Named(key, name) for key, name in DEFINITIONS.items()),
        families=tuple(FamilyChoice(f.key, f.name, f.caps) for f in families().values()),
        caps=_named(CAPS),
        diets=_named({d.key: d.name for d in diets().values()}),
        allergens=_named({row["tag"]: row["name"] for row in table("allergens")}),
        eaters=_named({e.key: e.name for e in eaters().values()}),
        cups=tuple(cup_standards().values()),
        sweeteners=tuple(i for i in pantry if any(p.allows(i) for p in paths().values())),
        limits=tuple(Limit(constant(key), name) for key, name in LIMITS),
    )


def _named(names: Mapping[str, str]) -> tuple[Named, ...]:
    return tuple(Named(key, name) for key, name in names.items())


def _path(path: Path, pantry: list[Ingredient], liked: float) -> PathChoice:
    sweeteners = tuple(i.key for i in pantry if path.allows(i))
    goals = Goals(path=path.key)
    if liked != 1.0 and path.most_new:
        # A new wish begins as sweet as this household likes things; where nothing sweetens instead, it falls with the cut.
        goals = replace(goals, keep_sweet=round(max(goals.wanted_sweetness * liked, LEAST_KEPT), 2))
    return PathChoice(path.key, path.name, path.words, path.usual, filled(goals), path.most_new, sweeteners)


# The least that a wish can keep of the sweetness.
LEAST_KEPT = 0.3
