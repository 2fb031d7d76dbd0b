"""Flavour for sugar, and what oven, freezer and thermometer are told."""

from __future__ import annotations

import unittest

from bench.desserts import DESSERTS

from sun_crumb.core.balance import contribution, families
from sun_crumb.core.offers.flavour import flavours
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import constant, table
from sun_crumb.core.rework.parts import parts_of
from sun_crumb.core.wish import Goals
from tests.support import CloseTo, formula_of
from tests.support.plans import LOAF, grams_of, plan

PANTRY = shipped_pantry()


class Flavours(CloseTo):
    """Common practice, no published source; no sweetness is counted."""

    def test_the_path_of_less_puts_in_more_of_what_is_there(self) -> None:
        made = plan(LOAF, path="less", cut=0.4)
        for key in ("vanilla", "cinnamon"):
            line = next(x for x in made.lines if x.ingredient == key)
            self.assertGreater(line.after_g, line.before_g)
            self.assertIn("common practice", line.reason)
        self.assertEqual({x.ingredient for x in made.lines if x.position is None}, set())
        for path in ("blend", "zero"):
            self.assertEqual(grams_of(plan(LOAF, path=path, cut=0.4), "cinnamon"), 1.32)

    def test_chosen_flavours_come_in_and_none_stay_out(self) -> None:
        made = plan(LOAF, path="less", cut=0.4, flavours=("cardamom", "zest"))
        self.assertGreater(grams_of(made, "cardamom"), 0.2)
        self.assertGreater(grams_of(made, "orange_zest"), 2)
        self.assertEqual(grams_of(made, "cinnamon"), 1.32)
        none = plan(LOAF, path="less", cut=0.4, flavours=())
        self.assertEqual(grams_of(none, "vanilla"), 4.26)
        self.assertFalse(any(f.is_in for f in none.flavour))
        self.assertTrue(none.flavour)

    def test_no_sweetness_is_counted(self) -> None:
        with_it, without = (plan(LOAF, path="less", cut=0.4, flavours=f) for f in (("vanilla", "cardamom"), ()))
        sugar = with_it.totals_after.sucrose_equivalent_g - without.totals_after.sucrose_equivalent_g
        self.assertClose(sugar, 0, absolute=0.3)

    def test_amounts_go_by_the_batter_and_no_further(self) -> None:
        one, two = (
            parts[0]
            for parts in (
                list(parts_of(formula_of(text), Goals(path="less"), PANTRY))
                for text in (LOAF, LOAF.replace("1 tsp vanilla", "3 tsp vanilla"))
            )
        )
        assert one.problem and two.problem
        told = {f.key: f for f in flavours(one.formula, one.problem.family, Goals(path="less"), PANTRY)}
        mass_kg = one.formula.mass_g / 1000
        self.assertClose(told["vanilla"].grams, 2 * 4.2 * mass_kg, rel=0.15)
        self.assertNotIn("vanilla", {f.key for f in two.flavours})

    def test_every_row_names_food_and_a_measure_that_it_has(self) -> None:
        for row in table("flavours"):
            for key in row["ingredients"].split(";"):
                with self.subTest(row["key"], key=key):
                    if row["per_kg"] and row["measure"] != "g":
                        self.assertIsNotNone(PANTRY[key].measure(row["measure"]))
                    self.assertLessEqual(set(row["families"].split()), set(families()))


class Stages(CloseTo):
    def test_the_ovens_own_number_is_told(self) -> None:
        made = plan(LOAF, path="unrefined", cupboard=("honey",))
        told = next(words for words in made.advice if words.startswith("Browns sooner"))
        self.assertIn("160 °C (325 °F) instead of 175 °C (350 °F)", told)
        self.assertIn("from minute 45", told)
        short = LOAF.replace("50 to 55 minutes", "10 to 12 minutes")
        told = " ".join(plan(short, path="fruit", cut=0.9, cupboard=("applesauce", "banana")).advice)
        self.assertIn("11 to 16 minutes instead of 10 to 12", told)
        honeyed = " ".join(plan(short, path="unrefined", cupboard=("honey",)).advice)
        self.assertIn("from minute 9", honeyed)

    def test_freezing_goes_by_moles(self) -> None:
        """Freezing point of sucrose solutions (handbook values, from memory) against Blagden's law, 1.86 K kg/mol."""
        for percent, published in ((5, 0.29), (10, 0.63), (15, 1.00), (20, 1.45)):
            grams = contribution(PANTRY["white_sugar"])["freezing"] * percent
            kelvin = 1.86 * grams / 342.297 / ((100 - percent) / 1000)
            with self.subTest(percent):
                self.assertClose(kelvin, published, rel=0.08)
        each = {key: contribution(PANTRY[key])["freezing"] for key in ("fructose_powder", "erythritol", "allulose")}
        self.assertClose(each["fructose_powder"], 342.297 / 180.156, rel=0.02)
        self.assertClose(each["erythritol"], 342.297 / 122.12, rel=0.02)
        self.assertClose(each["allulose"], 342.297 / 180.156, rel=0.05)

    def test_ice_cream_stays_soft_and_is_told_when_it_does_not(self) -> None:
        lean = plan(DESSERTS["frozen"], path="less", cut=0.75, keep_sweet=0.4)
        told = next(u.words for u in lean.unmet if u.goal == "freezing")
        self.assertIn("block from the freezer", told)
        sweet = plan(DESSERTS["frozen"], path="zero", cut=0.75)
        freezing = next(v for v in sweet.balance[0].verdicts if v.key == "freezing")
        self.assertEqual(freezing.level, "balanced")

    def test_smaller_sugars_boil_higher_for_the_same_softness(self) -> None:
        """Raoult's law: honey's sugars are half the size of sucrose, so as much of them boils higher."""
        made = plan(DESSERTS["caramel"], path="unrefined", cut=0.2, cupboard=("honey",))
        self.assertGreater(grams_of(made, "honey"), 20)
        told = next(words for words in made.advice if words.startswith("A soft ball"))
        now = float(told.split("about ")[1].split(" °C")[0])
        self.assertTrue(constant("soft_ball_c") < now < constant("soft_ball_c") + 12, told)
        self.assertIn("Sooner scorched than white sugar: honey.", " ".join(made.advice))
        plain = plan(DESSERTS["caramel"], path="less", cut=0.2)
        self.assertFalse(any(words.startswith("A soft ball") for words in plain.advice))


if __name__ == "__main__":
    unittest.main()
