"""Dessert families and the stretch each tolerates, from families.csv (all judgement)."""

from __future__ import annotations

import re
from collections.abc import Collection, Iterable, Mapping
from dataclasses import dataclass, replace
from functools import cache

from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.reference import constant, table


@dataclass(frozen=True, slots=True)
class Family:
    """One kind of dessert.

    ``bands`` gives, for each metric it minds, how far below and above the original it may go: parts of one, except
    alkali in meq/g. The caps are shares of the batter, the floor a share of the original's crystal sugar: of any kind,
    white only, or what melts to a glass; ``egg_step`` is what eggs may move by, 0 where they stay. ``stand_ins`` may take the sugar's place where it is the structure,
    ``own_floor`` is the share of the recipe's own sugar that stays beside them. ``why_floor`` says what sugar does there, ``instead`` what else one could make, ``stays`` why some of the sugar stays.

    A component can be of the family where what it is made of ``fits``: all of these conditions, of each at least one alternative, as shares
    of the mass. ``traits`` are of TRAITS. ``kin`` is the family and those that it is a kind of, the nearest first: what a table says of
    butter cakes holds for steamed puddings.
    """

    key: str
    name: str
    kin: tuple[str, ...]
    bands: dict[str, tuple[float, float]]
    caps: dict[str, float]
    crystal_floor: float
    own_floor: float
    crystal_kind: str
    egg_step: float
    stand_ins: tuple[str, ...]
    why_floor: str
    instead: str

    fits: tuple[tuple[str, ...], ...] = ()
    traits: frozenset[str] = frozenset()
    stays: str = "for crust and spread"

    @property
    def is_baked(self) -> bool:
        """Whether it goes into an oven that browns it."""
        return "no_oven" not in self.traits

    @property
    def is_in_a_pan(self) -> bool:
        """Whether it browns in a pan or in fat, and not in the oven."""
        return bool({"in_a_pan", "fried"} & self.traits)

    @property
    def browns(self) -> bool:
        """Whether heat browns it, in the oven or in a pan, and no dough lies around it."""
        return (self.is_baked or self.is_in_a_pan) and "inside" not in self.traits

    def is_among(self, keys: Collection[str]) -> bool:
        """Return whether a table's *keys* name this family, or one that it is a kind of; ``!key`` leaves one out again."""
        for key in self.kin:
            if f"!{key}" in keys:
                return False
            if key in keys:
                return True
        # A list that only leaves families out names all others.
        return bool(keys) and all(key.startswith("!") for key in keys)


def as_mixed(lines: Iterable[FormulaLine], family: Family) -> tuple[FormulaLine, ...]:
    """Return the lines of a component as this kind of dessert holds them: the fruit of a filling is the thing itself, chocolate is melted.

    Parameters
    ----------
    lines
        A component's weighed lines [g].
    family
        What it is.
    """
    found = []
    for line in lines:
        is_body = "body" in family.traits or (
            "melts" in family.traits
            and line.ingredient.has_role("chocolate")
            and "chips" not in line.ingredient.traits
            and not _IN_PIECES.search(line.text)
        )
        found.append(replace(line, is_body=True) if is_body else line)
    return tuple(found)


_IN_PIECES = re.compile(r"\b(?:chips?|chunks?|drops|buttons|shav\w+|to serve|decorat\w+)\b", re.I)


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
    "fried": "fried in fat",
    "in_a_pan": "baked in a pan on the hob",
    "unheated_starch": "raw starch would stay raw in it",
    "melts": "chocolate is melted into it, not left in pieces",
    "dark_ok": "brown already: nothing shows in it",
    "inside": "rolled into a dough, which browns around it",
}


# What a kind of a family takes from it where its own cell is empty; "-" says that it has none.
_INHERITED = (
    ("mass", "liquid", "water", "fat", "structure", "bulk", "freezing", "lift"),
    (
        *(
            "alkali",
            "puree_cap",
            "paste_cap",
            "syrup_cap",
            "filler_cap",
            "crystal_floor",
            "crystal_kind",
            "own_floor",
            "egg_step",
            "stand_ins",
        ),
        *("why_floor", "instead", "stays", "traits"),
    ),
)


def _filled(row: Mapping[str, str], rows: Mapping[str, Mapping[str, str]]) -> dict[str, str]:
    """Return a row with the cells that it takes from the family that it is a kind of."""
    if not row["like"]:
        return dict(row)
    base, found = _filled(rows[row["like"]], rows), dict(row)
    ranges, single = _INHERITED
    for name in (*(f"{metric}_{side}" for metric in ranges for side in ("low", "high")), *single):
        found[name] = found[name] or base[name]
    return found


def _kin(key: str, rows: Mapping[str, Mapping[str, str]]) -> tuple[str, ...]:
    like = rows[key]["like"]
    return (key, *_kin(like, rows)) if like else (key,)


def _cell(text: str) -> str:
    return "" if text == "-" else text


@cache
def families() -> dict[str, Family]:
    """Return the known families by key."""
    rows = {row["key"]: row for row in table("families")}
    return {key: _family(_filled(row, rows), _kin(key, rows)) for key, row in rows.items()}


def _family(row: Mapping[str, str], kin: tuple[str, ...]) -> Family:
    sweet = constant("sweetness_band")
    bands = {"sweetness": (sweet, sweet)}
    for name in _INHERITED[0]:
        if _cell(row[f"{name}_low"]):
            bands[name] = (float(row[f"{name}_low"]), float(row[f"{name}_high"]))
    if _cell(row["alkali"]):
        bands["alkali"] = (float(row["alkali"]),) * 2
    return Family(
        key=row["key"],
        name=row["name"],
        kin=kin,
        bands=bands,
        caps={kind: float(row[f"{kind}_cap"]) for kind in ("puree", "paste", "syrup", "filler")},
        crystal_floor=float(row["crystal_floor"]),
        crystal_kind=row["crystal_kind"],
        own_floor=float(row["own_floor"] or 0),
        egg_step=float(row["egg_step"]),
        stand_ins=tuple(filter(None, _cell(row["stand_ins"]).split(";"))),
        why_floor=_cell(row["why_floor"]),
        instead=_cell(row["instead"]),
        fits=tuple(tuple(alternatives.split("|")) for alternatives in row["fits"].split()),
        traits=frozenset(_cell(row["traits"]).split()),
        stays=row["stays"] or "for crust and spread",
    )
