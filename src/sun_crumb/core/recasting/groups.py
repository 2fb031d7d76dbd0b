"""What a food is there for when a dessert is made on another base: groups that stay the recipe's own, or become the pattern's."""

from __future__ import annotations

from sun_crumb.core.balance.makeup import kind_of_food
from sun_crumb.core.pantry import Ingredient

# The groups of makeup's kinds; what is of none is flavour.
_GROUPS = {
    "body": ("flour", "oats", "nutflour", "nuts", "coconut", "ready", "jelly"),
    "fat": ("fat",),
    "egg": ("egg", "white"),
    "wet": ("dairy", "water", "juice"),
    "cheese": ("cheese",),
    "sweet": ("sugar", "syrup"),
    "fruit": ("fruit", "dried"),
    "chocolate": ("chocolate",),
}
_GROUP = {kind: group for group, kinds in _GROUPS.items() for kind in kinds}
# What each group is called.
GROUP_NAMES = {
    "body": "what it stands on", "fat": "fat", "egg": "egg", "wet": "liquid", "cheese": "soft cheese", "sweet": "sugar", "fruit": "fruit",
    "chocolate": "chocolate", "lift": "leaven", "flavour": "flavour",
}  # fmt: skip
# Less juice or vinegar than this in a recipe is flavour, and stays [g] (judgement).
LITTLE_SOUR_G = 25.0


def group_of(food: Ingredient) -> str:
    """Return the group of a food: a key of GROUP_NAMES."""
    if food.has_role("leaven") and not food.has_role("flour"):
        return "lift"
    if food.has_role("binder", "starch"):
        return "body"
    return _GROUP.get(kind_of_food(food), "flavour")


def is_sour(food: Ingredient) -> bool:
    """Return whether a food is there for its acid: vinegar, lemon juice, cream of tartar."""
    return food.has_role("acid") and not food.has_role("dairy", "sugar", "syrup") and "milk" not in food.tags


def is_nut_butter(food: Ingredient) -> bool:
    """Return whether a food is a nut butter: body in a flourless dessert, taste in another."""
    return food.has_role("nut") and food.key.endswith("_butter")


def is_nutty(food: Ingredient) -> bool:
    """Return whether a food is of nuts: ground, whole or as a butter."""
    return food.has_role("nut") or kind_of_food(food) in ("nutflour", "nuts")
