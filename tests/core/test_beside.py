"""Two recipes beside each other: figures by hand, and parts that sum to the whole."""

from __future__ import annotations

import unittest

from bench.desserts import DESSERTS
from hypothesis import given, settings
from hypothesis import strategies as st

from sun_crumb.core.errors import OutOfDomainError, UnknownChoiceError
from sun_crumb.core.exploring.beside import beside, does, product
from sun_crumb.core.formula import total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.wish import DEFINITIONS
from tests.support import formula_of

PANTRY = shipped_pantry()
NAMES = sorted(DESSERTS)


class BesideEachOther(unittest.TestCase):
    def test_a_cake_and_its_twin_by_hand(self) -> None:
        """200 of 400 g of sugar in 800 and 700 g, portions of 80 g: 40 g less 22.86 g."""
        one = formula_of("One\nServes 10\n400 g sugar\n400 g plain flour")
        two = formula_of("Two\nServes 10\n200 g sugar\n500 g plain flour")
        found = beside(one, two)
        self.assertAlmostEqual(found.portion_g, 80.0)
        self.assertAlmostEqual(found.grams, 200 * 80 / 700 - 40, delta=0.15)
        self.assertEqual([m.kind for m in found.makes], ["sugar"])
        self.assertIn("17 g less free sugar in a portion of the second: 17 g from sugar and syrups", found.words)

    def test_what_comes_from_the_icing_is_told_apart(self) -> None:
        one = formula_of(
            "One\nServes 10\nCake\n200 g plain flour\n150 g sugar\n150 g butter\n150 g egg\n\nIcing\n200 g icing sugar\n100 g butter"
        )
        two = formula_of(
            "Two\nServes 10\nCake\n200 g plain flour\n120 g sugar\n150 g butter\n150 g egg\n\nIcing\n60 g icing sugar\n200 g cream cheese"
        )
        found = beside(one, two)
        self.assertEqual([part.name for part in found.by_part], ["the icing", "the main part"])
        self.assertRegex(
            found.words,
            r"g less free sugar in a portion of the second: [\d.]+ g from the icing, [\d.]+ g from the main part",
        )
        self.assertEqual(found.first.families[0], "butter cake")

    @settings(max_examples=40, deadline=None)
    @given(st.sampled_from(NAMES), st.sampled_from(NAMES), st.sampled_from(list(DEFINITIONS)), st.floats(20, 300))
    def test_parts_sum_to_the_whole_and_turned_round_they_change_their_sign(
        self, a: str, b: str, definition: str, size: float
    ) -> None:
        one, two = formula_of(DESSERTS[a]), formula_of(DESSERTS[b])
        found = beside(one, two, definition, size)  # type: ignore[arg-type]
        self.assertAlmostEqual(sum(part.grams for part in found.by_part), found.grams, places=6)
        self.assertLess(abs(sum(m.grams for m in found.makes) - found.grams), 0.5)
        back = beside(two, one, definition, size)  # type: ignore[arg-type]
        self.assertAlmostEqual(back.grams, -found.grams, places=6)
        self.assertAlmostEqual(found.first.portion.mass_g, size, places=6)
        self.assertAlmostEqual(found.second.portion.mass_g, size, places=6)

    def test_a_bought_thing_beside_a_recipe(self) -> None:
        bought = product(PANTRY["digestive_biscuit"])
        found = beside(bought, formula_of(DESSERTS["butter cake"]), portion_g=30.0)
        self.assertAlmostEqual(found.first.portion.energy_kcal, 0.3 * PANTRY["digestive_biscuit"].per_100g.energy_kcal)
        self.assertEqual({m.kind for m in found.makes} >= {"sugar", "flour"}, True)

    def test_cost_is_told_where_most_has_a_price(self) -> None:
        cake = formula_of("One\nServes 10\n400 g sugar\n400 g plain flour")
        priced = beside(cake, cake, prices={"white_sugar": 1.0, "plain_flour": 2.0})
        self.assertAlmostEqual(priced.first.cost or 0, (0.4 + 0.8) / 10)
        self.assertIsNone(beside(cake, cake, prices={"white_sugar": 1.0}).first.cost)
        self.assertIn("As much free sugar", priced.words)

    def test_foods_stand_beside_each_other_by_what_they_do(self) -> None:
        for key, kind in (
            ("honey", "sugar"),
            ("erythritol", "substitute"),
            ("date_paste", "fruit"),
            ("butter", "fat"),
            ("almond_flour", "nut"),
            ("milk", "dairy"),
            ("dark_chocolate_70", "chocolate"),
            ("digestive_biscuit", "flour"),
        ):
            with self.subTest(key):
                self.assertEqual(does(PANTRY[key]), kind)

    def test_what_can_not_be_compared_is_said(self) -> None:
        cake = formula_of(DESSERTS["butter cake"])
        with self.assertRaises(OutOfDomainError):
            beside(cake, cake, portion_g=0.0)
        with self.assertRaises(UnknownChoiceError):
            beside(cake, cake, "love")  # type: ignore[arg-type]
        self.assertGreater(total(cake.lines).mass_g, 0)
