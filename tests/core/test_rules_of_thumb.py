"""The trade's rules of thumb, each reproduced within a stated tolerance or refuted with the reason.

All of them common practice, no published source; the figures beside them follow from composition and chemistry.
"""

from __future__ import annotations

import unittest

from sun_crumb.core.balance import contribution
from sun_crumb.core.formula import total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import constant
from sun_crumb.core.rework import rework
from sun_crumb.core.sugars.sweetness import grams_as_sweet, sucrose_equivalent
from sun_crumb.core.wish import Goals
from tests.support import CAKE, formula_of

PANTRY = shipped_pantry()
TABLESPOON_G, TEASPOON = 14.8, 1 / 3


def cup_g(key: str) -> float:
    measure = PANTRY[key].measure("cup")
    assert measure
    return measure.grams


def sweetness(key: str, cups: float) -> float:
    """Return how sweet so many cups are against a cup of sugar, in 850 g of batter."""
    grams = cups * cup_g(key)
    batter = [(PANTRY[key].per_100g, grams), (PANTRY["water"].per_100g, 850 - grams)]
    return sucrose_equivalent(batter) / cup_g("white_sugar")


def liquid_out(key: str, cups: float) -> float:
    """Return the tablespoons of liquid that so many cups bring more than a cup of sugar does."""
    more = contribution(PANTRY[key])["liquid"] * cups * cup_g(key) - contribution(PANTRY["white_sugar"])["liquid"] * 200
    return more / TABLESPOON_G


# The rule: (what it says, what follows from the figures, least, most, whether the rule stands)
RULES = {
    "¾ cup of honey is as sweet as a cup of sugar": (sweetness("honey", 0.75), 0.93, 1.07, True),
    "¾ cup of honey: 3 to 4 tbsp less liquid": (liquid_out("honey", 0.75), 2.5, 4.5, True),
    "¾ cup of maple syrup: 3 tbsp less liquid": (liquid_out("maple_syrup", 0.75), 2.5, 3.5, True),
    "¾ cup of date syrup: 3 tbsp less liquid": (liquid_out("date_syrup", 0.75), 2.5, 3.5, True),
    "a cup of 1:1 blend sweetens like a cup of sugar": (sweetness("stevia_erythritol", 1.0), 0.90, 1.30, True),
    "1⅓ cups of erythritol for a cup of sugar": (sweetness("erythritol", 4 / 3), 0.80, 1.05, True),
    "xylitol spoon for spoon": (sweetness("xylitol", 1.0), 0.90, 1.10, True),
    "allulose: 1⅓ cups for a cup of sugar": (sweetness("allulose", 4 / 3), 0.85, 1.15, True),
    # Refuted: the syrup is a third water, and ¾ of a cup holds 160 g of sugars at most.
    "¾ cup of maple syrup is as sweet as a cup of sugar": (sweetness("maple_syrup", 0.75), 0.65, 0.80, False),
    # Refuted: it replaces moisture; nine tenths of it is water.
    "applesauce cup for cup": (sweetness("applesauce", 1.0), 0.08, 0.20, False),
    "mashed banana cup for cup": (sweetness("banana", 1.0), 0.10, 0.25, False),
    # Refuted: a third of the paste is water.
    "date paste cup for cup": (sweetness("date_paste", 1.0), 0.45, 0.75, False),
    # Refuted: the crystals are lighter in the cup and hold some fructose and glucose besides minerals and water.
    "coconut sugar cup for cup": (sweetness("coconut_sugar", 1.0), 0.55, 0.88, False),
    # Refuted: ⅔ of a cup of agave brings hardly more liquid than the sugar did as it dissolves.
    "⅔ cup of agave: 4 tbsp less liquid": (liquid_out("agave_syrup", 2 / 3), 0.5, 2.0, False),
    # Refuted: frozen juice concentrate is nearly six tenths water.
    "¾ cup of juice concentrate for a cup of sugar": (sweetness("apple_juice_concentrate", 0.75), 0.30, 0.60, False),
}


class RulesOfThumb(unittest.TestCase):
    def test_each_is_reproduced_or_refuted(self) -> None:
        for rule, (found, least, most, stands) in RULES.items():
            with self.subTest(rule):
                self.assertTrue(least <= found <= most, found)
                if not stands:
                    # What refutes a rule must lie outside of what the rule promises.
                    promised = (0.9, 1.1) if "liquid" not in rule else (3.0, 5.0)
                    self.assertFalse(promised[0] <= found <= promised[1], found)

    def test_half_the_sugar_takes_far_less_than_half_the_stevia(self) -> None:
        whole = grams_as_sweet(PANTRY["stevia_extract"].per_100g, 200, 850)
        half = grams_as_sweet(PANTRY["stevia_extract"].per_100g, 100, 850)
        assert whole and half
        self.assertLess(half, 0.35 * whole)
        # "A teaspoon of extract for a cup of sugar": within a factor of one and a half.
        spoon = PANTRY["stevia_extract"].measure("tsp")
        assert spoon
        self.assertTrue(1 / 1.5 < whole / spoon.grams < 1.5, whole / spoon.grams)

    def test_soda_for_honey_and_buttermilk(self) -> None:
        for key, grams, spoons, tolerance in (("honey", 340, 0.25, 0.6), ("buttermilk", 245, 0.5, 0.3)):
            acid = -contribution(PANTRY[key])["alkali"] * grams
            soda = acid / constant("soda_base") / 4.6
            with self.subTest(key):
                self.assertAlmostEqual(soda / spoons, 1.0, delta=tolerance)

    def test_honey_wants_a_cooler_oven(self) -> None:
        made = rework(formula_of(CAKE), Goals(path="unrefined", cupboard=("honey",)), PANTRY)
        self.assertTrue(any("165 °C (325 °F) instead of 180 °C" in words for words in made.advice), made.advice)

    def test_a_third_less_sugar_needs_nothing_else_but_a_little_liquid(self) -> None:
        """Bakers leave out a quarter to a third of a cake's sugar without more ado."""
        made = rework(formula_of(CAKE), Goals(path="less", cut=0.3, keep_sweet=0.7), PANTRY)
        self.assertNotEqual(made.status, "unmet")
        self.assertLessEqual(sum(abs(x.after_g - x.before_g) > 0.01 for x in made.lines), 4)
        self.assertLess(total(made.after.lines).energy_kcal, total(made.before.lines).energy_kcal)


if __name__ == "__main__":
    unittest.main()
