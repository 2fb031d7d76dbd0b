"""What a component is made of: shares of its mass by what each food is there for."""

from __future__ import annotations

from collections.abc import Iterable

from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import Ingredient

# The kinds that a component's mass falls into; each gram counts in one of them.
KINDS = (
    "flour", "oats", "nutflour", "nuts", "fat", "dairy", "cheese", "water", "juice", "egg", "white", "sugar", "syrup", "fruit", "dried",
    "chocolate", "coconut", "ready", "jelly", "other",
)  # fmt: skip
# What tells by being there, little as it is of the mass: the share that it counts as.
FLAGS = {"yeast": 0.5, "leaven": 0.08}


def kind_of_food(ingredient: Ingredient, *, is_whole: bool = False) -> str:
    """Return which of KINDS a food counts in."""
    key, has = ingredient.key, ingredient.has_role
    for kind, is_one in (
        ("white", key in ("egg_white", "aquafaba")),
        ("jelly", key in ("gelatine", "fish_gelatine", "agar", "pectin")),
        ("egg", ingredient.group == "egg" or key == "flax_egg"),
        ("ready", ingredient.group == "sweetened" and has("flour")),
        ("ready", key in ("white_bread", "breadcrumbs", "sponge_cake", "cornflakes", "rice_cereal", "marshmallow", "couscous")),
        ("oats", key in ("rolled_oats", "oat_flour", "oat_bran")),
        ("coconut", key.startswith("coconut_") and not has("sugar", "liquid") and ingredient.group != "fat"),
        ("nutflour", has("flour") and has("nut")),
        ("nuts", has("nut") or key.endswith("_seeds")),
        ("chocolate", has("chocolate") or key in ("cocoa", "cocoa_butter", "carob_powder")),
        ("cheese", key in ("cream_cheese", "cream_cheese_light", "mascarpone", "ricotta", "quark", "cottage_cheese", "vegan_cream_cheese", "paneer", "khoya")),
        ("dried", ingredient.group == "driedfruit" or key in ("date_paste", "prune_puree", "raisin")),
        ("juice", key in ("lemon_juice", "lime_juice", "orange_juice")),
        ("sugar", has("sugar", "bulk") and not has("syrup", "liquid", "dairy", "fruit")),
        ("dairy", ingredient.group in ("dairy", "plantmilk") or key in ("plant_cream", "cashew_cream")),
        ("syrup", has("syrup")),
        ("fruit", has("fruit", "puree")),
        ("fat", has("fat")),
        ("water", has("liquid")),
        ("flour", has("flour", "starch")),
    ):  # fmt: skip
        if is_one:
            return kind
    return "other"


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
