"""A plan as its method needs it: lines, what must be made, what goes in with a step; and how an amount is said."""

from __future__ import annotations

import re
from collections.abc import Callable
from dataclasses import dataclass

from sun_crumb.core.method.records import MethodStep
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.nouns import plural, singular

# How an amount of a food is told: the words, for so many grams.
Told = Callable[[Ingredient, float], str]


@dataclass(frozen=True, slots=True)
class PlannedLine:
    """A line of a plan: its place in the original's list, None for what comes in; its food and weight [g], how that is told, and what the recipe's own
    words call the food, nothing where they don't."""

    position: int | None
    component: str
    ingredient: Ingredient
    grams: float
    told: str
    before_g: float = 0.0
    called: str = ""

    @property
    def name(self) -> str:
        """What a step calls the food."""
        return self.called or self.ingredient.name


@dataclass(frozen=True, slots=True)
class Preparation:
    """What must be made before it goes in: the words for it, how long hands and time it takes [min], and what it is made from."""

    ingredient: str
    words: str
    hands_on: tuple[int, int]
    wait_min: int = 0
    made_from: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Amount:
    """What goes in with a step: a line of the plan, by its position there, the share of it, and how much that is."""

    line: int
    share: float
    grams: float
    told: str
    name: str


@dataclass(frozen=True, slots=True)
class RewrittenStep:
    """A step of the plan's method: its words, what goes in, and what is said of it; ``was`` are the original's words, empty for a new one."""

    step: MethodStep
    was: str
    amounts: tuple[Amount, ...]
    notes: tuple[str, ...] = ()
    is_new: bool = False

    @property
    def key(self) -> str:
        """By what the baker's own words for it are kept: what it was, or what it makes."""
        return self.was or f"make {self.step.makes}" if self.was or self.step.makes else self.step.text


def as_said(told: str) -> str:
    """Return an amount as it stands before a food: "a pinch of"."""
    return (
        f"{told} of"
        if re.match(r"an?\s+[a-z]+$|[\d½]+\s+(?:slices?|strips?|knobs?|handfuls?|sprigs?)$", told)
        else told
    )


# What is counted is the whole spice.
_WHOLE_SPICES = {
    "ground cinnamon": "cinnamon stick",
    "ground cloves": "clove",
    "ground cardamom": "cardamom pod",
    "ground nutmeg": "nutmeg",
    "ground star anise": "star anise",
}


def named(name: str, told: str) -> str:
    """Return a food's name as so many of it are called: 3 eggs, ½ egg, 60 g egg.

    Examples
    --------
    >>> named("egg", "3"), named("egg", "60 g"), named("egg yolk", "2")
    ('eggs', 'egg', 'egg yolks')
    >>> named("ground cinnamon", "1"), named("ground cloves", "2")
    ('cinnamon stick', 'cloves')
    """
    count = re.fullmatch(r"(\d*)\s*[½¼¾⅓⅔⅛]?", told.strip())
    name = _WHOLE_SPICES.get(name, name) if count and told.strip() else name
    one = singular(name)
    if not count or not told.strip():
        return one if one.startswith("egg") else name
    return one if told.strip() in ("1", "½", "¼", "¾", "⅓", "⅔", "⅛") else plural(one)
