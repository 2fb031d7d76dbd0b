"""Which bases a dessert can be made on, and what each asks of batter and oven: bases.csv and recasts.csv (common practice)."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.balance.makeup import makeup
from sun_crumb.core.balance.patterns import Pattern, distances_of, every_pattern
from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.recasting.groups import group_of
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Base:
    """What a dessert may stand on instead: its name, the words for it in a wish, and why amounts change on it.

    ``beside`` says what the rest of the body is for, ``stands_on`` which groups of foods are the base where that is no flour,
    ``without`` what it does without: egg, gluten or sugar. Traits: ``fruity`` (its body is a fruit or a vegetable, which on another base
    would be foreign), ``whole`` (nuts and dried fruit, whole, are part of it), ``takes_fruit`` (the recipe's own fruit goes under in it).
    """

    key: str
    name: str
    words: str
    because: str
    beside: str
    stands_on: tuple[str, ...]
    without: str
    traits: frozenset[str]


@dataclass(frozen=True, slots=True)
class Way:
    """How a family comes onto a base: the patterns it may follow, which groups of foods stay the recipe's own, and what changes besides.

    ``like`` names, for a pattern, the practice that is the same dessert on the usual base: a recipe is richer or sweeter than it by up to
    ``room`` times on the new base too. ``pour`` is what is done with a batter that no longer pours. ``oven_lower_c`` is how much milder the oven [°C], ``longer`` the part of the baking time that comes on top.
    """

    base: str
    families: tuple[str, ...]
    patterns: tuple[str, ...]
    keeps: frozenset[str]
    room: float
    batter: str
    cannot: str
    oven_lower_c: float
    longer: float
    like: tuple[tuple[str, str], ...] = ()
    pour: str = ""


@cache
def bases() -> dict[str, Base]:
    """Return the bases by key, in their order."""
    return {
        row["key"]: Base(
            row["key"],
            row["name"],
            row["words"],
            row["because"],
            row["beside"],
            tuple(row["stands_on"].split()),
            row["without"],
            frozenset(row["traits"].split()),
        )
        for row in table("bases")
    }


def traits_of(way: Way) -> frozenset[str]:
    """Return the traits of a way's base; none where it leads to another formula of the same kind."""
    return bases()[way.base].traits if way.base else frozenset()


def does_without(way: Way, what: str) -> bool:
    """Return whether a way's base does without egg, gluten or sugar."""
    return bool(way.base) and bases()[way.base].without == what


@cache
def ways() -> tuple[Way, ...]:
    """Return every way of a family onto a base."""
    return tuple(
        Way(
            base=row["base"],
            families=tuple(row["families"].split()),
            patterns=tuple(part.partition("<")[0] for part in row["patterns"].split()),
            keeps=frozenset(row["keeps"].split()),
            room=float(row["room"]),
            batter=row["batter"],
            cannot=row["cannot"],
            oven_lower_c=float(row["oven_lower_c"]),
            longer=float(row["longer"]),
            like=tuple(
                (key, like) for key, _, like in (part.partition("<") for part in row["patterns"].split()) if like
            ),
            pour=row["pour"],
        )
        for row in table("recasts")
    )


@cache
def patterns_by_key() -> dict[str, Pattern]:
    """Return the patterns by key."""
    return {pattern.key: pattern for pattern in every_pattern()}


# A pattern of the same family that no way leads to: all that can stay does, up to so many times its share (judgement).
OWN_KEEPS = frozenset({"fat", "egg", "wet", "sweet", "chocolate", "fruit", "lift"})
OWN_ROOM = 2.5


def way_onto(base: str, family: Family) -> Way | None:
    """Return how a *family* comes onto a *base*: the way of the nearest family that it is a kind of, None where there is none."""
    mine = [way for way in ways() if way.base == base and family.is_among(way.families)]
    for key in family.kin:
        for way in mine:
            if key in way.families:
                return way
    return None


def way_to(pattern: str, family: Family) -> Way | None:
    """Return how a *family* comes to one *pattern*: by a way of recasts.csv, or as another formula of the same family; None where by neither.

    Parameters
    ----------
    pattern
        A key of patterns.csv.
    family
        What the component is.
    """
    for way in ways():
        if pattern in way.patterns and family.is_among(way.families):
            return replace(way, patterns=(pattern,))
    return _another_formula(pattern, family) if patterns_by_key()[pattern].family in family.kin else None


def _another_formula(pattern: str, family: Family) -> Way:
    """Return the way to another formula of the same family: all that can stay does, oven and time too."""
    return Way("", (family.key,), (pattern,), OWN_KEEPS, OWN_ROOM, batter="", cannot="", oven_lower_c=0.0, longer=0.0)


def patterns_of(family: Family) -> tuple[str, ...]:
    """Return the keys of a family's patterns, or of the nearest that it is a kind of where it has none."""
    for key in family.kin:
        if found := tuple(p.key for p in every_pattern() if p.family == key):
            return found
    return ()


def nearest_of(keys: Iterable[str], lines: Iterable[FormulaLine]) -> Pattern:
    """Return which of some patterns a component comes nearest to."""
    far = distances_of(makeup(lines))
    return patterns_by_key()[min(keys, key=lambda key: far[key])]


def target_of(way: Way, lines: Iterable[FormulaLine]) -> Pattern | None:
    """Return which pattern of a way a component follows: the nearest to its crumb; None where each would bring foreign fruit, or lose its own."""
    crumb = [x for x in lines if not x.is_inclusion]
    mass = sum(x.grams for x in crumb)
    fruit = sum(x.grams for x in crumb if group_of(x.ingredient) == "fruit")
    fits = []
    for key in way.patterns:
        has_fruit = any(group_of(x.ingredient) == "fruit" for x in patterns_by_key()[key].lines)
        if has_fruit and not fruit and "fruity" not in traits_of(way):
            continue
        if fruit > LOST * mass and "fruit" not in way.keeps and "takes_fruit" not in traits_of(way):
            continue
        if does_without(way, "sugar") and fruit and not _is_sweet(crumb) and _own_fruit_goes_in(way):
            continue
        fits.append(key)
    far = distances_of(makeup(crumb))
    return patterns_by_key()[min(fits, key=lambda key: far[key])] if fits else None


def _own_fruit_goes_in(way: Way) -> bool:
    return "fruit" in way.keeps


def _is_sweet(lines: Iterable[FormulaLine]) -> bool:
    """Return whether a component's fruit is sweet enough to sweeten it: banana and dates are, pumpkin and lemon are not."""
    fruit = [x for x in lines if group_of(x.ingredient) == "fruit"]
    held = sum(x.grams * x.ingredient.per_100g.total_sugars_g for x in fruit)
    return held >= SWEET_G * sum(x.grams for x in fruit)


# Sugar in 100 g of fruit that sweetens a loaf alone [g] (judgement: banana holds 12, dates 65, pumpkin 3).
SWEET_G = 9.0
# So much of a mix that is fruit is the dessert's idea: a base that has no room for it is none for this dessert [share] (judgement).
LOST = 0.1


def way_as(target: Pattern, family: Family) -> Way | None:
    """Return how a *family* comes to a pattern of the household's own: as to another of the same family, or by the way to the pattern's family.

    Parameters
    ----------
    target
        The pattern.
    family
        What the component is.
    """
    if target.family in family.kin or family.key == target.family:
        return _another_formula(target.key, family)
    for way in ways():
        if family.is_among(way.families) and any(patterns_by_key()[k].family == target.family for k in way.patterns):
            return replace(way, base="", patterns=(target.key,), like=())
    return None


def stands_on(lines: Iterable[FormulaLine], pattern: Pattern) -> bool:
    """Return whether a component stands on what a pattern stands on already: most of its body is of the same foods."""
    body = [x for x in lines if group_of(x.ingredient) == "body" and not x.is_inclusion]
    foods = {key for key, _ in pattern.grams}
    held = sum(x.grams for x in body)
    return held > 0 and sum(x.grams for x in body if x.ingredient.key in foods) > STANDS * held


# So much of what a component stands on must be of a base for it to be on that base already [share] (judgement).
STANDS = 0.7
