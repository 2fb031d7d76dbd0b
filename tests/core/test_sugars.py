"""Sweetness, definitions and savings."""

from __future__ import annotations

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import portion, total
from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import constant
from sun_crumb.core.sugars.savings import savings
from sun_crumb.core.sugars.sweetness import intense_dose, intense_equivalent, intense_response, sucrose_equivalent
from tests.support import CAKE, CloseTo, batter, formula_of, lines_of


def sweet(key: str, grams: float) -> float:
    """Return the sucrose equivalent of *grams* of one ingredient."""
    return sucrose_equivalent([(shipped_pantry()[key].per_100g, grams)])


def cup(key: str) -> float:
    measure = shipped_pantry()[key].measure("cup")
    assert measure is not None
    return measure.grams


class Sweetness(CloseTo):
    def test_factors_lie_in_published_ranges(self) -> None:
        # Ranges of relative sweetness in food-chemistry handbooks, from memory.
        ranges = {
            "glucose": (0.5, 0.8),
            "fructose": (1.0, 1.8),
            "lactose": (0.15, 0.4),
            "maltose": (0.3, 0.6),
            "erythritol": (0.55, 0.8),
            "xylitol": (0.9, 1.1),
            "allulose": (0.6, 0.8),
            "sorbitol": (0.5, 0.7),
            "maltitol": (0.75, 0.95),
        }
        for name, (low, high) in ranges.items():
            with self.subTest(name):
                self.assertTrue(low <= constant(f"sweet_{name}") <= high)

    def test_three_quarters_of_a_cup_of_honey_is_as_sweet_as_a_cup_of_sugar(self) -> None:
        # Common practice, no published source: ¾ cup of honey for 1 cup of sugar.
        self.assertClose(sweet("honey", 0.75 * cup("honey")), 200, rel=0.03)

    def test_maple_syrup_by_the_same_rule_is_not(self) -> None:
        # The trade says ¾ cup too; maple is mostly sucrose and a third water, so it brings about three quarters.
        self.assertClose(sweet("maple_syrup", 0.75 * cup("maple_syrup")), 146, rel=0.03)

    def test_a_cup_of_one_to_one_blend_is_as_sweet_as_a_cup_of_sugar(self) -> None:
        # The packs' own claim, in 850 g of batter.
        for key in ("stevia_erythritol", "monk_fruit_erythritol", "monk_fruit_allulose"):
            c = shipped_pantry()[key].per_100g
            grams = cup(key)
            total_sweet = sucrose_equivalent([(c, grams), (shipped_pantry()["water"].per_100g, 850 - grams)])
            with self.subTest(key):
                self.assertClose(total_sweet, 200, rel=0.08)

    def test_a_teaspoon_of_extract_matches_a_cup_of_sugar_but_half_takes_far_less_than_half(self) -> None:
        # Common practice: 1 tsp of pure extract for a cup of sugar; the curve levels off (10 C / (200 + C), from memory).
        whole, half = intense_dose(200, 850) / 0.95, intense_dose(100, 850) / 0.95
        self.assertClose(whole / 2.6, 1.1, rel=0.1)
        self.assertLess(half, whole / 3)

    def test_intense_sweetness_saturates_and_inverts(self) -> None:
        self.assertClose(intense_response(1e9), 10, rel=1e-3)
        self.assertEqual(intense_dose(10_000, 850), float("inf"))
        for grams in (20, 60, 120, 180):
            with self.subTest(grams):
                self.assertClose(intense_equivalent(intense_dose(grams, 850), 850), grams, rel=1e-9)
        with self.assertRaises(OutOfDomainError):
            intense_response(-1)


class Totals(CloseTo):
    def test_a_cake_by_hand(self) -> None:
        # 100 g sugar (FDC 99.8 % sugars) and 50 g honey (82.12 %), 4 portions.
        whole = total(lines_of(white_sugar=100, honey=50))
        self.assertClose(whole.refined_sugar_g, 99.8, absolute=0.01)
        self.assertClose(whole.free_sugars_who_g, 99.8 + 41.06, absolute=0.01)
        self.assertClose(portion(whole, 4).mass_g, 37.5, absolute=1e-9)

    def test_mashing_a_banana_frees_its_sugar_in_the_uk_only(self) -> None:
        # SACN 2015 and its working definition, from memory: sugars of puréed fruit are free, of whole fruit not.
        banana = shipped_pantry()["banana"]
        whole, mashed = total([FormulaLine(banana, 100)]), total([FormulaLine(banana, 100, is_crushed=True)])
        self.assertEqual(whole.free_sugars_uk_g, 0)
        self.assertClose(mashed.free_sugars_uk_g, 15.8, absolute=0.1)
        self.assertEqual(mashed.free_sugars_who_g, 0)

    def test_absurd_weights_are_refused(self) -> None:
        for grams in (-1, float("nan"), float("inf"), 1e9):
            with self.subTest(grams), self.assertRaises(OutOfDomainError):
                FormulaLine(shipped_pantry()["milk"], grams)


class Savings(CloseTo):
    def test_a_smaller_slice_saves_nothing(self) -> None:
        before = total(formula_of(CAKE).lines)
        saved = savings(before, before.scaled(0.5), 16)
        self.assertClose(saved.free_sugars_who_g, 0, absolute=1e-9)
        self.assertClose(saved.portion_g, before.mass_g / 32, rel=1e-9)

    def test_by_hand(self) -> None:
        # 200 g of sugar in 1000 g against 100 g in 900 g, ten portions of 90 g: 18 - 10 = 8 g a portion (99.8 %).
        before, after = batter(white_sugar=200, water=800), batter(white_sugar=100, water=800)
        saved = savings(total(before.lines), total(after.lines), 10)
        self.assertClose(saved.free_sugars_who_g, 8 * 0.998, absolute=1e-6)
        self.assertClose(saved.times(2).free_sugars_who_g, 16 * 0.998, absolute=1e-6)

    def test_nothing_has_no_portion(self) -> None:
        empty = total([])
        with self.assertRaises(OutOfDomainError):
            savings(empty, empty, 4)
