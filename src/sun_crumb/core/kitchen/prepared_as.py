"""What a preparation is as an ingredient of a recipe: the food itself, or one of its own with what it holds in 100 g."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.mass import SOLIDS, SUGARS, Mass
from sun_crumb.core.kitchen.preparations import Prepared
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.pantry.label import Label
from sun_crumb.core.reference import table

# What a pack calls carbohydrate: all of the solids but these.
_NO_CARBOHYDRATE = frozenset({"protein_g", "fat_g", "fibre_g", "ash_g", "alcohol_g", "glycosides_g"})


@dataclass(frozen=True, slots=True)
class AsFood:
    """What was made as a food: its name and weight [g]; a pantry key where the pantry holds it as it is, else what it is like, and its label."""

    name: str
    grams: float
    key: str
    label: Label | None


def as_food(made: Prepared, food: Ingredient, pantry: Pantry) -> AsFood:
    """Return what a preparation of *food* made, as a recipe may hold it.

    The label tells 100 g of it, so that water and sugars are those of the mass balance; its minor parts are those of what it is like.

    Raises
    ------
    OutOfDomainError
        Nothing was made.
    """
    if made.made.mass_g <= 0:
        raise OutOfDomainError("nothing of it is left to put into a recipe", field="grams")
    row = _row(made.kind, food)
    name = row["name"].format(food=food.name)
    if row["as"] == "same":
        return AsFood(name, made.made.mass_g, food.key, None)
    like = (food.becomes or food.key) if row["as"] == "becomes" else row["as"] or food.key
    like = like if like in pantry else food.key
    return AsFood(name, made.made.mass_g, like, _label(name, made.made))


def _row(kind: str, food: Ingredient) -> Mapping[str, str]:
    return next(row for row in table("prepared_as") if row["kind"] == kind and row["food"] in (food.key, "*"))


def _label(name: str, mass: Mass) -> Label:
    k = 100 / mass.mass_g
    held = dict(zip(SOLIDS, mass.solids, strict=True))

    def of(*names: str) -> float:
        return round(max(sum(held[n] for n in names) * k, 0.0), 3)

    return Label(
        name=name[:80],
        energy_kcal=round(mass.energy_kcal * k, 2),
        fat_g=of("fat_g"),
        carbohydrate_g=of(*(n for n in SOLIDS if n not in _NO_CARBOHYDRATE)),
        sugars_g=of(*SUGARS),
        polyols_g=of("erythritol_g", "xylitol_g", "sorbitol_g", "maltitol_g"),
        fibre_g=of("fibre_g"),
        protein_g=of("protein_g"),
        salt_g=of("ash_g"),
        water_g=round(mass.water_g * k, 3),
    )
