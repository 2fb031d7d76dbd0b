"""What a component is made of: shares of its mass by what each food is there for."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from fnmatch import fnmatchcase
from functools import lru_cache

from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.reference import table

# The kinds that a component's mass falls into; each gram counts in one of them.
KINDS = (
    "flour", "oats", "nutflour", "nuts", "fat", "dairy", "cheese", "water", "juice", "egg", "white", "sugar", "syrup", "fruit", "dried",
    "chocolate", "coconut", "ready", "jelly", "other",
)  # fmt: skip
# What tells by being there, little as it is of the mass: the share that it counts as.
FLAGS = {"yeast": 0.5, "leaven": 0.08}


@dataclass(frozen=True, slots=True)
class _Kind:
    """A row of food_kinds.csv: a food is of the kind by its key, or by its group and all its roles (one of those between bars)."""

    kind: str
    keys: tuple[str, ...]
    groups: frozenset[str]
    roles: tuple[str, ...]
    no_roles: tuple[str, ...]
    no_groups: frozenset[str]

    def holds(self, food: Ingredient) -> bool:
        """Return whether a food is of this kind, or falls under one of its keys (``*`` stands for any letters)."""
        if food.has_role(*self.no_roles) or food.group in self.no_groups:
            return False
        if any(fnmatchcase(food.key, key) for key in self.keys):
            return True
        is_of_group = not self.groups or food.group in self.groups
        has_roles = all(food.has_role(*role.split("|")) for role in self.roles)
        return bool(self.groups or self.roles) and is_of_group and has_roles


@lru_cache(maxsize=1)
def _kinds() -> tuple[_Kind, ...]:
    return tuple(
        _Kind(
            row["kind"],
            tuple(row["keys"].split()),
            frozenset(row["groups"].split()),
            tuple(row["roles"].split()),
            tuple(row["no_roles"].split()),
            frozenset(row["no_groups"].split()),
        )
        for row in table("food_kinds")
    )


@lru_cache(maxsize=4096)
def kind_of_food(ingredient: Ingredient) -> str:
    """Return which of KINDS a food counts in: the first row of food_kinds.csv that it falls under, else *other*."""
    return next((one.kind for one in _kinds() if one.holds(ingredient)), "other")


def makeup(lines: Iterable[FormulaLine]) -> dict[str, float]:
    """Return the share of each of KINDS in the mass, the FLAGS, and the sums that conditions of families.csv speak of.

    Parameters
    ----------
    lines
        A component's weighed lines [g].

    Returns
    -------
    dict
        Shares, 0 to 1: KINDS and FLAGS; ``wet`` (egg, dairy, cheese, water, juice), ``grain`` (flour and oats) and ``oil``, 1 where most of the
        fat is oil.
    """
    lines = [line for line in lines if line.grams > 0]
    mass = sum(line.grams for line in lines) or 1.0
    found = dict.fromkeys((*KINDS, *FLAGS), 0.0)
    for line in lines:
        found[kind_of_food(line.ingredient)] += line.grams / mass
        if line.ingredient.has_role("leaven"):
            flag = "yeast" if line.ingredient.key.endswith("yeast") else "leaven"
            found[flag] = FLAGS[flag]
    oil = sum(line.grams for line in lines if line.ingredient.key.endswith("_oil")) / mass
    found["grain"] = found["flour"] + found["oats"]
    found["wet"] = sum(found[kind] for kind in ("egg", "white", "dairy", "cheese", "water", "juice"))
    found["yeast"] = 1.0 if found["yeast"] else 0.0
    found["oil"] = float(oil > 0.05 and oil > found["fat"] / 2)
    found["egg"] += found["white"]
    return found
