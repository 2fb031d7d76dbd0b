"""How long a recipe keeps the cook and the kitchen, and how it keeps itself: for two recipes beside each other."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from sun_crumb.core.balance.nature import natures
from sun_crumb.core.balance.water_activity import crumb_activity
from sun_crumb.core.formula import Formula
from sun_crumb.core.kitchen.keeping import keeping
from sun_crumb.core.method import read_method
from sun_crumb.core.method.lines import lines_of_foods
from sun_crumb.core.reading.records import Step


@dataclass(frozen=True, slots=True)
class Lasts:
    """The time that hands and clock take [min], None where no method is told; how the dessert keeps, in words; and how free its water is.

    ``activity`` is an estimate of the crumb's water activity, None where it means nothing: it only says which of two keeps longer.
    """

    hands_on_min: int | None
    waiting_min: int | None
    keeping: tuple[str, ...]
    activity: float | None


def lasts(formula: Formula, steps: Sequence[Step]) -> Lasts:
    """Return how long a recipe takes and how it keeps.

    Parameters
    ----------
    formula
        The recipe.
    steps
        Its method; none gives no times.
    """
    told = tuple(k.words for k in keeping({c: n.family for c, n in natures(formula).items()}) if k.about == "keep")
    activity = crumb_activity(formula.lines)
    if not steps:
        return Lasts(None, None, told, activity)
    read = read_method(
        steps, lines_of_foods((x.text, x.component, x.ingredient, x.grams, x.stage) for x in formula.lines)
    )
    hands = sum(sum(step.hands_on_minutes) / 2 for step in read.steps)
    waits = sum((step.wait.low_min + step.wait.high_min) / 2 for step in read.steps if step.wait is not None)
    return Lasts(round(hands), round(waits), told, activity)
