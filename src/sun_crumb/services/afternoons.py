"""Several desserts of the shelf for one table: which cut for which."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.exploring.afternoon import Afternoon, Dessert, afternoon
from sun_crumb.core.telling.unmet import Status
from sun_crumb.core.wish import Goals
from sun_crumb.schemas.afternoon import AfternoonIn
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.recipes import original_in
from sun_crumb.store import Database


@dataclass(frozen=True, slots=True)
class DessertShown:
    """What becomes of one dessert: its cut (0 for as it is), how it is on its own, and what a guest eats of free sugar with it [g]."""

    recipe_id: int
    title: str
    path: str
    cut: float
    status: Status
    portions: float
    unit: str
    free_sugar_before_g: float
    free_sugar_g: float
    sweetness: float
    loss: float
    words: str


@dataclass(frozen=True, slots=True)
class AfternoonShown:
    """The desserts with their cuts, together within the limit or not."""

    desserts: tuple[DessertShown, ...]
    most_g: float
    before_g: float
    free_sugar_g: float
    is_held: bool
    words: str


def plan_afternoon(database: Database, body: AfternoonIn) -> AfternoonShown:
    """Return which cut for which dessert of the shelf loses least within a guest's limit; nothing is kept.

    Raises
    ------
    NotFoundError, DamagedError, UnknownChoiceError, OutOfDomainError
        A recipe is not there or can't be worked with, or a wish is none.
    """
    with database.reading() as session:
        pantry = pantry_in(session)
        formulas = [original_in(session, one.recipe_id, pantry)[0] for one in body.desserts]
    desserts = [
        Dessert(
            formula,
            Goals(
                path=one.path,
                keep_sweet=one.keep_sweet,
                diets=tuple(body.diets),
                avoid=tuple(body.avoid),
                eaters=tuple(body.eaters),
            ),
            one.portions,
        )
        for one, formula in zip(body.desserts, formulas, strict=True)
    ]
    return _shown(body, desserts, afternoon(desserts, body.most_g, pantry))


def _shown(body: AfternoonIn, desserts: list[Dessert], found: Afternoon) -> AfternoonShown:
    return AfternoonShown(
        tuple(
            DessertShown(
                recipe_id=asked.recipe_id,
                title=one.title,
                path=asked.path,
                cut=one.cut,
                status=one.plan.status if one.plan else "balanced",
                portions=one.portions,
                unit=dessert.formula.unit,
                free_sugar_before_g=one.free_sugar_before_g,
                free_sugar_g=one.free_sugar_g,
                sweetness=one.sweetness,
                loss=one.loss,
                words=one.plan.words if one.plan else "As it is.",
            )
            for asked, dessert, one in zip(body.desserts, desserts, found.desserts, strict=True)
        ),
        found.most_g,
        found.before_g,
        found.free_sugar_g,
        found.is_held,
        found.words,
    )
