"""A plan keeps the recipe's own nature: nothing foreign comes in, nothing raw into what no heat reaches, pale stays pale.

Common practice, no published source.
"""

from __future__ import annotations

import itertools
import unittest

from bench.desserts import DESSERTS

from sun_crumb.core.errors import CoreError
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import table
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.wish import Goals, paths
from tests.support import formula_of
from tests.support.plans import plan

PANTRY = shipped_pantry()
FOREIGN = {row["tag"] for row in table("allergens")} | {"animal"}
DAIRY_FREE = "Oil cake\nServes 10\n250 g plain flour\n200 g sugar\n120 ml sunflower oil\n250 ml water\n2 tsp baking powder\n1 tbsp cider vinegar\n1 tsp baking soda"
SORBET = "Lemon sorbet\nServes 6\n250 g sugar\n400 ml water\n150 ml lemon juice"


def brought(made: Plan) -> set[str]:
    """Return what a plan brings in."""
    return {line.ingredient for line in made.lines if line.position is None and line.after_g > 0}


class Nature(unittest.TestCase):
    def test_no_plan_brings_an_allergen_or_animal_food_that_the_recipe_lacks(self) -> None:
        texts = [*DESSERTS.values(), DAIRY_FREE, SORBET]
        for text, path in itertools.product(texts, paths()):
            formula = formula_of(text)
            try:
                made = rework(formula, Goals(path=path, cut=0.6), PANTRY)
            except CoreError:
                continue
            own = set().union(*(line.ingredient.tags for line in formula.lines))
            for key in brought(made):
                food = PANTRY[key]
                # Honey is a sweetener that the path or the baker chose.
                foreign = (
                    set()
                    if food.has_role("sugar", "syrup", "paste", "puree", "bulk", "intense")
                    else food.tags & FOREIGN - own
                )
                with self.subTest(formula.title, path=path, food=key):
                    self.assertEqual(foreign, set())

    def test_a_dairy_free_cake_stays_so(self) -> None:
        for path in paths():
            made = plan(DAIRY_FREE, path=path, cut=0.5)
            self.assertFalse({"milk", "yoghurt", "milk_powder", "egg", "egg_yolk"} & brought(made), path)

    def test_what_is_pale_stays_pale_unless_the_baker_names_it(self) -> None:
        for text in (
            "Vanilla custard\nServes 4\n400 ml milk\n100 ml double cream\n4 egg yolks\n80 g caster sugar\n1 tsp vanilla extract",
            "Vanilla icing\nServes 10\n200 g icing sugar\n100 g butter\n1 tbsp milk",
            SORBET,
        ):
            for path in ("blend", "unrefined", "fruit"):
                try:
                    made = plan(text, path=path, cut=0.5)
                except CoreError:
                    continue
                dark = {key for key in brought(made) if "dark" in PANTRY[key].traits}
                self.assertEqual(dark, set(), (text[:20], path))
        named = plan(
            "Vanilla icing\nServes 10\n200 g icing sugar\n100 g butter\n1 tbsp milk",
            path="blend",
            cut=0.4,
            cupboard=("coconut_sugar",),
        )
        self.assertIn("coconut_sugar", brought(named))

    def test_no_acid_in_boiled_sugar(self) -> None:
        made = plan(
            "Peanut brittle\nServes 10\n300 g sugar\n100 g golden syrup\n200 g peanuts\n30 g butter\n1 tsp baking soda",
            path="zero",
            cut=0.4,
        )
        self.assertFalse({"lemon_juice", "cider_vinegar"} & brought(made))
