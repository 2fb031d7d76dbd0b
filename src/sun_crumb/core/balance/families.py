"""Dessert families and the stretch each tolerates, from families.csv (all judgement)."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.reference import constant, table


@dataclass(frozen=True, slots=True)
class Family:
    """One kind of dessert.

    ``bands`` gives, for each metric it minds, how far below and above the original it may go: parts of one, except
    alkali in meq/g. The caps are shares of the batter, the floor a share of the original's crystal sugar: of any kind,
    white only, or what melts to a glass; ``egg_step`` is what eggs may move by, 0 where they stay. ``stand_ins`` may take the sugar's place where it is the structure,
    ``why_floor`` says what sugar does there, ``instead`` what else one could make, ``stays`` why some of the sugar stays.

    A name tells the families in the order of ``told_first`` (0: by no name), where what it is made of ``fits``: all of these
    conditions, of each at least one alternative, as shares of the mass. ``traits`` are of TRAITS.
    """

    key: str
    name: str
    words: tuple[str, ...]
    bands: dict[str, tuple[float, float]]
    caps: dict[str, float]
    crystal_floor: float
    crystal_kind: str
    egg_step: float
    stand_ins: tuple[str, ...]
    why_floor: str
    instead: str

    told_first: int = 0
    fits: tuple[tuple[str, ...], ...] = ()
    traits: frozenset[str] = frozenset()
    stays: str = "for crust and spread"

    @property
    def is_baked(self) -> bool:
        """Whether it goes into an oven that browns it."""
        return "no_oven" not in self.traits


# What a dessert of a family is or goes through, and who asks.
TRAITS = {
    "no_oven": "sees no oven, or one too mild to brown it",
    "pale": "light to look at: a dark sweetener or a paste would show",
    "smooth": "thin and clear: a paste stays lumpy in it",
    "ground": "a sweetener goes in as fine as icing sugar and need not dissolve",
    "keeps": "dry, or frozen: its water tells nothing about keeping",
    "boiled": "sugar is boiled to a stage",
    "unheated": "no heat reaches it: nothing raw may come in",
    "body": "its fruit is the thing itself, not pieces in a crumb",
    "by_make": "told apart further by what it is made of: foam, oil or butter",
}


@cache
def families() -> dict[str, Family]:
    """Return the known families by key."""
    found = {}
    sweet = constant("sweetness_band")
    for row in table("families"):
        bands = {"sweetness": (sweet, sweet)}
        for name in ("mass", "liquid", "water", "fat", "structure", "bulk", "freezing", "lift"):
            if row[f"{name}_low"]:
                bands[name] = (float(row[f"{name}_low"]), float(row[f"{name}_high"]))
        if row["alkali"]:
            bands["alkali"] = (float(row["alkali"]),) * 2
        caps = {kind: float(row[f"{kind}_cap"]) for kind in ("puree", "paste", "syrup", "filler")}
        found[row["key"]] = Family(
            row["key"],
            row["name"],
            tuple(row["words"].split()),
            bands,
            caps,
            float(row["crystal_floor"]),
            row["crystal_kind"],
            float(row["egg_step"]),
            tuple(filter(None, row["stand_ins"].split(";"))),
            row["why_floor"],
            row["instead"],
            int(row["told_first"] or 0),
            tuple(tuple(alternatives.split("|")) for alternatives in row["fits"].split()),
            frozenset(row["traits"].split()),
            row["stays"] or "for crust and spread",
        )
    return found


@dataclass(frozen=True, slots=True)
class Makeup:
    """What a component is made of, as shares of its mass, and what that makes of it."""

    flour: float
    grain: float
    fat: float
    oil: float
    fruit: float
    egg: float
    wet: float
    drink: float
    ready: float
    is_foam: bool
    is_raised: bool

    @property
    def is_oil_cake(self) -> bool:
        """Whether most of its fat is oil."""
        return self.oil > 0.08 and self.oil > self.fat / 2

    @property
    def is_whites(self) -> bool:
        """Whether it stands on its whites: ground nuts in a macaron are no flour."""
        return self.grain < 0.1 and self.drink < 0.05

    def shares(self) -> dict[str, float]:
        """Return the shares by the names that the conditions of families.csv use."""
        return {
            "flour": self.flour,
            "solid": 0.0 if self.is_whites else self.flour,
            "fruit": self.fruit,
            "wet": self.wet,
            "egg": self.egg,
            "oil": float(self.is_oil_cake),
        }


def makeup(lines: Iterable[FormulaLine]) -> Makeup:
    """Return what lines are made of."""
    lines = list(lines)
    mass = sum(line.grams for line in lines) or 1.0

    flour = share_of(lines, "flour", "starch")
    return Makeup(
        flour=flour,
        grain=sum(
            x.grams for x in lines if x.ingredient.has_role("flour", "starch") and not x.ingredient.has_role("nut")
        )
        / mass,
        fat=share_of(lines, "fat"),
        oil=sum(line.grams for line in lines if line.ingredient.key.endswith("_oil")) / mass,
        fruit=share_of(lines, "fruit"),
        egg=share_of(lines, "egg"),
        wet=share_of(lines, "egg", "liquid", "dairy"),
        drink=share_of(lines, "fat", "liquid"),
        ready=sum(
            line.grams for line in lines if line.ingredient.has_role("flour") and line.ingredient.has_role("sugar")
        )
        / mass,
        # Eggs, sugar and flour alone: what stands is the foam.
        is_foam=share_of(lines, "egg") > 0.3
        and flour > 0.15
        and share_of(lines, "fat", "nut", "liquid", "dairy") < 0.1,
        is_raised=any(x.ingredient.has_role("leaven") and x.ingredient.key.endswith("yeast") for x in lines),
    )


def guess_family(title: str, component: str, lines: Iterable[FormulaLine]) -> Family:
    """Return the family that a component most likely belongs to: by its name, the title, then what it is made of.

    Parameters
    ----------
    title
        The dessert's name.
    component
        The component's name, empty for the base.
    lines
        The component's weighed lines [g].

    References
    ----------
    families.csv (words and ``fits``)
    """
    lines = list(lines)
    made = makeup(lines)
    if made.flour > 0.3 and made.is_raised:
        return families()["yeast_dough"]
    return _by_name((component, title), made) or families()[_by_make(made, share_of(lines, "liquid", "egg"))]


def share_of(lines: Iterable[FormulaLine], *roles: str) -> float:
    """Return the share of the mass that has one of these roles."""
    lines = list(lines)
    mass = sum(line.grams for line in lines) or 1.0
    return sum(line.grams for line in lines if line.ingredient.has_role(*roles)) / mass


def _by_name(texts: Iterable[str], made: Makeup) -> Family | None:
    """Return the family that the first of these texts names, if what is made so can be one."""
    told = sorted((f for f in families().values() if f.told_first), key=lambda f: f.told_first)
    shares = made.shares()
    for text in texts:
        words = re.findall(r"[a-z]+", text.lower())
        words += [w.removesuffix("s") for w in words]
        for family in told:
            if any(word in family.words for word in words) and is_possible(family, shares):
                if "by_make" not in family.traits:
                    return family
                other = "foam_cake" if made.is_foam else "oil_cake" if made.is_oil_cake else family.key
                return families()[other]
    return None


def _by_make(made: Makeup, moist: float) -> str:
    """Return the key of the family that something is by its makeup alone; *moist* is its share of liquid and egg."""
    if made.ready and made.flour - made.ready < 0.03:
        # Biscuits between cream are no batter, and biscuits in chocolate none either.
        return "custard" if made.wet > 0.3 else "no_bake"
    if made.is_foam:
        return "foam_cake"
    if made.flour < 0.08:
        return "fruit" if made.fruit > 0.45 else "custard" if made.wet > 0.3 else "frosting"
    if made.flour > 0.38 and moist < 0.18:
        return "cookie"
    if made.fat < 0.12:
        return "quick_bread"
    return "oil_cake" if made.is_oil_cake else "butter_cake"


def is_possible(family: Family, shares: Mapping[str, float]) -> bool:
    """Return whether a component made so can be of this family, whatever it is called; *shares* are of its mass."""
    return all(any(_holds(one, shares) for one in alternatives) for alternatives in family.fits)


def _holds(condition: str, shares: Mapping[str, float]) -> bool:
    """Return whether a condition such as "flour<0.12" holds."""
    name, sign, limit = re.split("([<>])", condition)
    return shares[name] < float(limit) if sign == "<" else shares[name] > float(limit)
