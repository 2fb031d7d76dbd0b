"""What is as it was keeps the recipe's own words, and each food of a line its own."""

from __future__ import annotations

import unittest

from sun_crumb.core.formula.told import told_amount
from sun_crumb.core.pantry.household import household
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.telling.as_told import amount_before, own_amount
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

    def test_a_strip_is_of_its_own_food_and_a_dessertspoon_stays(self) -> None:
        formula = formula_of(
            "Custard\nServes 4\n500 ml milk\n1 dessertspoon sugar\n1 strip lemon peel + 1 cinnamon stick\n4 egg yolks"
        )
        said = {
            line.ingredient.key: own_amount(formula, n, line.ingredient.key, line.grams)
            for n, line in enumerate(formula.lines)
        }
        self.assertEqual((said["lemon_zest"], said["white_sugar"]), ("1 strip", "1 dessertspoon"))
        self.assertNotIn("strip", said["cinnamon"])

    def test_a_pint_stays_one(self) -> None:
        formula = formula_of("Tea loaf\nServes 12\n½ pint cold tea\n10 oz SR flour\n6 oz brown sugar\n1 egg")
        self.assertEqual(amount_before(formula, 0, cup_standard("metric")), "½ pint")

    def test_spoons_and_pods_stay_and_what_moved_is_weighed(self) -> None:
        self.assertEqual((told("baking_powder"), told("vanilla_pod")), ("1½ tsp", "1"))
        self.assertEqual(told("icing_sugar", 60.0), "")


class InAPlan(unittest.TestCase):
    """An original line is told in the recipe's own words where read again they weigh what it does."""

    def before(self, line: str) -> str:
        formula = formula_of(
            f"Cobbler\nServes 6\n{line}\n100 g caster sugar\n200 g plain flour\n100 g butter\nBake at 180C for 30 minutes."
        )
        return amount_before(formula, 0, cup_standard("us"))

    def test_counts_and_cups_stay_as_they_were_told(self) -> None:
        for line, words in (
            ("6 large peaches, stoned", "6 large"),
            ("4 leaves gelatine", "4 leaves"),
            ("a pinch of saffron", "a pinch"),
            # A cup of it weighs something else here: the bracket stays, and wins when it is read.
            ("4 cups (500 g) bread flour", "4 cups (500 g)"),
        ):
            with self.subTest(line):
                self.assertEqual(self.before(line), words)

    def test_what_would_read_as_something_else_is_told_by_the_kitchen(self) -> None:
        """ "1 ground cinnamon" and "1 lime lime zest" are no amounts."""
        for line in ("1 cinnamon stick", "grated zest of 1 lime"):
            formula = formula_of(f"Cake\nServes 6\n{line}\n100 g caster sugar\n200 g plain flour")
            told = amount_before(formula, 0, cup_standard("us"))
            with self.subTest(line):
                food = formula.lines[0]
                self.assertEqual(
                    told, household(food.ingredient, food.grams, cup_standard("us"), is_weighed=formula.weighs(food))
                )


class AsItsLineMeasures(unittest.TestCase):
    """What moves is told as its own line measures it."""

    def told(self, line: str, grams: float) -> str:
        formula = formula_of(
            f"Loaf\nServes 8\n250 g spelt flour\n90 g butter\n{line}\n2 eggs\nBake at 180C for 40 minutes."
        )
        return told_amount(formula, formula.lines[2], grams, cup_standard("metric"))[0]

    def test_by_the_millilitre_the_gram_and_the_cup(self) -> None:
        for line, grams, words in (
            ("80 ml maple syrup", 54.4, "40 ml"),
            ("maple syrup 80 ml", 54.4, "40 ml"),
            ("150 g crème fraîche", 120.0, "120 g"),
            ("200 ml milk", 154.7, "150 ml"),
            ("Sugar - 3/4 cup", 106.0, "½ cup"),
            ("2 Tbs honey", 21.4, "1 tbsp"),
            ("honey 2 tbsp", 21.4, "1 tbsp"),
        ):
            with self.subTest(line):
                self.assertEqual(self.told(line, grams), words)

    def test_a_food_whose_name_ends_in_t_is_not_told_by_the_spoon(self) -> None:
        # "t" and "T" are spoons only behind a number.
        for line, is_spooned in (
            ("peanut butter - 130 g", False),
            ("yoghurt 150 g", False),
            ("lt brown sugar - 150 g", False),
            ("2 T sugar", True),
            ("1/2 t salt", True),
        ):
            formula = formula_of(f"Slice\n{line}\n200 g plain flour\n100 g butter\nBake.")
            with self.subTest(line):
                self.assertEqual(formula.lines[0].is_spooned, is_spooned)

    def test_a_list_of_bare_grams_or_of_ounces_in_words_goes_on_the_scale(self) -> None:
        bare = "Tart\nServes 8\nall in grams\n180 plain flour\n90 butter\n40 icing sugar\n1 egg\nBake at 180C for 30 minutes."
        words = "Seed cake\nServes 10\nHalf a pound of flour, quarter of a pound of butter, six ounces sugar, three eggs.\nBake at 180C for 60 minutes."
        for text in (bare, words):
            with self.subTest(text[:9]):
                self.assertTrue(formula_of(text).is_weighed)


if __name__ == "__main__":
    unittest.main()
