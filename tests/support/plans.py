"""Plans for the tests of the engine: one loaf of our own, and what a plan holds."""

from __future__ import annotations

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.wish import Goals
from tests.support import formula_of

LOAF = """Banana loaf
Makes 10 slices
200 g plain flour
120 g light brown sugar
2 ripe bananas, mashed
2 large eggs
90 g butter, melted
60 ml milk
1 tsp baking soda
1 tsp vanilla extract
½ tsp cinnamon
50 g walnuts

Heat the oven to 350 °F and bake for 50 to 55 minutes.
"""


def plan(text: str, **goals: object) -> Plan:
    """Return the plan for a recipe text."""
    return rework(formula_of(text), Goals(**goals), shipped_pantry())  # type: ignore[arg-type]


def grams_of(made: Plan, key: str) -> float:
    """Return how much of an ingredient a plan holds [g]."""
    return sum(line.after_g for line in made.lines if line.ingredient == key)
