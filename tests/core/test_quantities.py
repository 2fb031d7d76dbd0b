"""Numbers, measures and household amounts."""

from __future__ import annotations

import unittest

import pint

from sun_crumb.core.errors import UnknownChoiceError
from sun_crumb.core.quantities.household import SpoonWeights, fraction_text, grams_text, spoon_text
from sun_crumb.core.quantities.measures import cup_standard, units, volume_ml
from sun_crumb.core.quantities.numbers import read_quantity
from tests.support import CloseTo


class Measures(CloseTo):
    def test_units_agree_with_pint(self) -> None:
        registry = pint.UnitRegistry()
        names = {
            "g": "gram",
            "kg": "kilogram",
            "oz": "ounce",
            "lb": "pound",
            "ml": "milliliter",
            "dl": "deciliter",
            "l": "liter",
            "tsp": "teaspoon",
            "tbsp": "tablespoon",
            "cup": "cup",
            "fl oz": "fluid_ounce",
            "pint": "pint",
            "quart": "quart",
        }
        for key, name in names.items():
            with self.subTest(key):
                base = "gram" if units()[key].kind == "mass" else "milliliter"
                self.assertClose(units()[key].value or 0, registry(name).to(base).magnitude, rel=1e-4)

    def test_us_cup_is_that_of_nist_sp_811(self) -> None:
        # NIST SP 811, appendix B.8: cup (US) 2.365 882 E-04 m3, tablespoon 1.478 676 E-05, teaspoon 4.928 922 E-06.
        us = cup_standard("us")
        self.assertClose(us.cup_ml, 236.5882, absolute=0.001)
        self.assertClose(us.tablespoon_ml, 14.78676, absolute=0.001)
        self.assertClose(us.teaspoon_ml, 4.928922, absolute=0.001)

    def test_labelling_cup_is_that_of_us_law(self) -> None:
        # 21 CFR 101.9(b)(5)(viii): 1 cup means 240 mL, 1 tablespoon 15 mL, 1 teaspoon 5 mL.
        legal = cup_standard("legal")
        self.assertEqual((legal.cup_ml, legal.tablespoon_ml, legal.teaspoon_ml), (240, 15, 5))

    def test_australian_tablespoon_holds_four_teaspoons(self) -> None:
        # AS 1325, from memory: cup 250 mL, tablespoon 20 mL, teaspoon 5 mL.
        australian = cup_standard("australian")
        self.assertEqual(volume_ml(2, "tbsp", australian), 8 * australian.teaspoon_ml)
        self.assertEqual(volume_ml(1, "cup", australian), 250)

    def test_unknown_cup_lists_the_known_ones(self) -> None:
        with self.assertRaises(UnknownChoiceError) as caught:
            cup_standard("mug")
        self.assertIn("metric", caught.exception.details["choices"])


class Numbers(unittest.TestCase):
    def test_as_bakers_write_them(self) -> None:
        cases = {
            "½": (0.5, 0.5),
            "1½": (1.5, 1.5),
            "1 ½": (1.5, 1.5),
            "1 1/2": (1.5, 1.5),
            "1-1/2": (1.5, 1.5),
            "3/4": (0.75, 0.75),
            "0,5": (0.5, 0.5),
            "2.25": (2.25, 2.25),
            ".5": (0.5, 0.5),
            "1,000": (1000, 1000),
            "2-3": (2, 3),
            "10 to 12": (10, 12),
            "1½ – 2": (1.5, 2),
            "a": (1, 1),
            "half a": (0.5, 0.5),
            "a dozen": (12, 12),
            "three": (3, 3),
            "1 & 1/4": (1.25, 1.25),
            "1⁄3": (1 / 3, 1 / 3),
        }
        for text, (low, high) in cases.items():
            with self.subTest(text):
                span = read_quantity(text)
                assert span is not None
                self.assertAlmostEqual(span.low, low)
                self.assertAlmostEqual(span.high, high)

    def test_what_is_no_number(self) -> None:
        for text in ("apple", "", "salt 2", "-", "½x"[1:]):
            with self.subTest(text):
                self.assertIsNone(read_quantity(text))

    def test_division_by_zero_is_infinite_not_an_error(self) -> None:
        span = read_quantity("1/0 cup")
        assert span is not None
        self.assertEqual(span.low, float("inf"))


class Household(CloseTo):
    MILK = SpoonWeights(244, 15.3, 5.1)

    def test_common_amounts(self) -> None:
        cases = {
            244: "1 cup",
            122: "½ cup",
            81.3: "⅓ cup",
            61: "¼ cup",
            15.3: "1 tbsp",
            5.1: "1 tsp",
            2.55: "½ tsp",
            366: "1½ cups",
            259: "1 cup + 1 tbsp",
            # As few fillings as come near: nobody counts nine spoons.
            137.3: "½ cup + 1 tbsp",
            91.5: "¼ cup + 2 tbsp",
            45.9: "3 tbsp",
            164: "⅔ cup",
        }
        for grams, text in cases.items():
            with self.subTest(text):
                self.assertEqual(spoon_text(grams, self.MILK), text)

    def test_text_never_strays_far_from_the_grams(self) -> None:
        names = {"cup": 244.0, "cups": 244.0, "tbsp": 15.3, "tsp": 5.1}
        for tenths in range(20, 9000, 37):
            grams = tenths / 10
            total = 0.0
            for part in spoon_text(grams, self.MILK).split(" + "):
                number, unit = part.rsplit(" ", 1)
                span = read_quantity(number)
                assert span is not None
                total += span.low * names[unit]
            with self.subTest(grams):
                self.assertClose(total, grams, rel=0.03, absolute=7.7)

    def test_numbers_for_people(self) -> None:
        self.assertEqual([fraction_text(x) for x in (0.25, 1.5, 2.0, 0.66, 2.4)], ["¼", "1½", "2", "⅔", "2.4"])
        self.assertEqual([grams_text(x) for x in (0.35, 9.2, 100.4)], ["0.3 g", "9.2 g", "100 g"])
