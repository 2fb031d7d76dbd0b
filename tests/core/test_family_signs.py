"""What a dessert is filed as by its name, its foods and its deeds. Common practice, no published source; recipes are made up."""

from __future__ import annotations

import unittest

from sun_crumb.core.balance.nature import nature_of
from sun_crumb.core.formula import from_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import table
from tests.core.weighing import METHOD, read


class Families(unittest.TestCase):
    """What a dessert is by its kind: a treacle filling was a marshmallow, a date slice a pancake."""

    def test_no_marshmallow_without_what_holds_its_foam(self) -> None:
        told = read(
            f"Treacle tart\n\nPastry\n225 g plain flour\n110 g butter\n\nFilling\n450 g golden syrup\n110 g fresh breadcrumbs\n1 egg{METHOD}"
        )
        formula, _ = from_reading(told, shipped_pantry())
        self.assertNotEqual(nature_of(formula, "filling").family.key, "marshmallow")

    def test_a_slice_of_dates_is_a_bar(self) -> None:
        told = read(
            "Date & walnut slice\n\n225 g dates\n140 ml water\n110 g margarine\n110 g demerara\n170 g SR flour\n110 g oats\n55 g walnuts\n\nPress half in the tin, dates on, rest on top. Bake at 180 C."
        )
        formula, _ = from_reading(told, shipped_pantry())
        self.assertEqual(nature_of(formula, "").family.key, "bar")

    def test_no_name_speaks_for_two_signs(self) -> None:
        """Rock buns were listed as soft cookies and, before that, as any: the first row won."""
        seen: dict[tuple[str, str], str] = {}
        for row in table("family_signs"):
            for words in row["words"].split(";"):
                with self.subTest(words, where=row["where"]):
                    self.assertFalse((row["where"], words) in seen, seen.get((row["where"], words)))
                seen[row["where"], words] = row["sign"]

    def test_rock_buns_are_soft_and_what_goes_into_oil_is_fried(self) -> None:
        for text, kind in (
            (
                "Rock buns\n\n8 oz flour\n3 oz marg\n3 oz sugar\n3 oz currants\n1 tsp b.p.\n1 egg\n2 tbsp milk\n\nRub fat in, add all, rough heaps on tray. Gas 6, 15 mins. Doz.",
                "cookie",
            ),
            (
                "Ricotta doughnut balls\n\n250 g ricotta\n2 eggs\n60 g sugar + extra 50 g to roll\n150 g flour\n8 g baking powder\nsunflower oil to fry, 1 litre\n\nMix. Teaspoonfuls into 170 °C oil 3-4 min. Roll in sugar.",
                "fried_dough",
            ),
        ):
            with self.subTest(kind):
                formula, _ = from_reading(read(text), shipped_pantry())
                self.assertEqual(nature_of(formula, "").family.key, kind)


if __name__ == "__main__":
    unittest.main()
