"""Two desserts beside each other."""

from __future__ import annotations

from typing import Literal

from sun_crumb.api.schemas.base import Out, To1, To2, To3, TotalsOut


class BesideOut(Out):
    title: str
    portion: TotalsOut  # type: ignore[valid-type]
    per_100g: TotalsOut  # type: ignore[valid-type]
    sweetness: To3
    structure_g: To2
    lift_g: To3
    foods: int
    effort: int
    cost: To2 | None
    families: list[str]


class MakesOut(Out):
    part: str
    kind: str
    name: str
    grams: To2
    first: str
    second: str


class InPartOut(Out):
    name: str
    grams: To2


class LastsOut(Out):
    """Minutes of hands and of waiting, null where no method is told; how it keeps, and an estimate of its water activity."""

    hands_on_min: int | None
    waiting_min: int | None
    keeping: list[str]
    activity: To3 | None


class ApartOut(Out):
    """Two desserts at the same portion, and what makes the difference, the largest first."""

    portion_g: To1
    definition: str
    first: BesideOut
    second: BesideOut
    grams: To2
    by_part: list[InPartOut]
    makes: list[MakesOut]
    words: str
    first_lasts: LastsOut
    second_lasts: LastsOut


class DessertOut(Out):
    """One dessert of an afternoon: its cut, and what a guest eats of free sugar with it [g]; ``loss`` in bands that a taster notices."""

    recipe_id: int
    title: str
    path: str
    cut: To3
    status: Literal["balanced", "strained", "unmet"]
    portions: To2
    unit: str
    free_sugar_before_g: To2
    free_sugar_g: To2
    sweetness: To3
    loss: To2
    words: str


class AfternoonOut(Out):
    desserts: list[DessertOut]
    most_g: To2
    before_g: To2
    free_sugar_g: To2
    is_held: bool
    words: str
