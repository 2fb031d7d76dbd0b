"""What is as it was keeps the recipe's own words, and each food of a line its own."""

from __future__ import annotations

import unittest

from sun_crumb.core.telling.as_told import own_amount
from tests.support import formula_of

FORMULA = formula_of(
    """Sandwich biscuits
Makes 12
200 g plain flour
1 1/2 tsp baking powder
100 g icing sugar and 1 tbsp water
150 g caster sugar + zest 1 orange
2 eggs plus 1 yolk
1 vanilla pod
Bake at 180C for 12 minutes."""
)


def told(key: str, grams: float | None = None) -> str:
    """Return the own words for a line, at its old weight or at another [g]."""
    at = next(n for n, line in enumerate(FORMULA.lines) if line.ingredient.key == key)
    return own_amount(FORMULA, at, key, FORMULA.lines[at].grams if grams is None else grams)


class OwnWords(unittest.TestCase):
    def test_each_food_of_a_line_has_its_own_amount(self) -> None:
        self.assertEqual(told("icing_sugar"), "100 g")
        self.assertEqual(told("water"), "1 tbsp")
        self.assertEqual(told("caster_sugar"), "150 g")
        self.assertEqual(told("orange_zest"), "1 orange")
        self.assertEqual(told("egg_yolk"), "1")

    def test_spoons_and_pods_stay_and_what_moved_is_weighed(self) -> None:
        self.assertEqual((told("baking_powder"), told("vanilla_pod")), ("1½ tsp", "1"))
        self.assertEqual(told("icing_sugar", 60.0), "")


if __name__ == "__main__":
    unittest.main()
