"""How an amount of a line is told: as its own recipe measures it."""

from __future__ import annotations

from sun_crumb.core.formula.recipe import Formula, FormulaLine
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.pantry.household import grid_of, household_amount
from sun_crumb.core.quantities.measures import CupStandard


def told_amount(formula: Formula, line: FormulaLine, grams: float, cup: CupStandard) -> tuple[str, float]:
    """Return *grams* of a line in words, and what these words weigh [g]: "55 g", "40 ml" where the recipe pours it, "2 tbsp" in cups.

    Parameters
    ----------
    formula, line
        The recipe, and one of its lines or one that comes into it.
    grams
        How much of it [g], more than none.
    cup
        The cup that the recipe measures with.
    """
    return household_amount(line.ingredient, grams, cup, is_weighed=formula.weighs(line), is_poured=line.is_poured)


def told_step(formula: Formula, line: FormulaLine, grams: float, cup: CupStandard) -> float:
    """Return the step [g] that a line is measured in near *grams*.

    Parameters
    ----------
    formula, line
        The recipe, and one of its lines or one that comes into it.
    grams
        How much of it [g].
    cup
        The cup that the recipe measures with.
    """
    return grid_of(line.ingredient, grams, cup, is_weighed=formula.weighs(line), is_poured=line.is_poured)


def told_food(formula: Formula, food: Ingredient, grams: float, cup: CupStandard) -> str:
    """Return *grams* of a food in words, as its first line in the recipe is told, where it has one.

    Parameters
    ----------
    formula, food
        The recipe, and a food that may be in it.
    grams
        How much of it [g], more than none.
    cup
        The cup that the recipe measures with.
    """
    line = next((line for line in formula.lines if line.ingredient.key == food.key), None)
    return told_amount(formula, line or FormulaLine(food, grams), grams, cup)[0]
