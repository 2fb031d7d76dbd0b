"""Claims under US and EU law, water activity, flavour and consequences."""

from __future__ import annotations

import unittest

import chemicals
from bench.desserts import DESSERTS

from sun_crumb.core.balance import families
from sun_crumb.core.balance.water_activity import SOLUTES, WATER_MOLAR, crumb_activity, solution_activity
from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.sugars.claims import Claim, claims
from sun_crumb.core.sugars.reference_amounts import reference_amount
from sun_crumb.core.wish import Goals
from tests.support import CAKE, CloseTo, formula_of

PANTRY = shipped_pantry()


def said(before: str, after: str, servings: int = 10) -> dict[str, Claim]:
    one, two = formula_of(f"Before\n{before}"), formula_of(f"After\n{after}")
    return {c.key: c for c in claims(total(one.lines), total(two.lines), two.lines, servings, one.lines)}


BASE = "200 g plain flour\n200 g sugar\n100 g butter\n200 ml milk"


class Claims(unittest.TestCase):
    """21 CFR 101.60(c) and Regulation (EC) 1924/2006, annex; both from memory of the text."""

    def test_a_cake_of_juice_concentrate_is_not_sugarless(self) -> None:
        found = said(BASE, "200 g plain flour\n200 g apple juice concentrate\n100 g butter\n100 ml milk")
        for key in ("us_sugar_free", "us_no_added", "eu_sugar_free", "eu_no_added"):
            with self.subTest(key):
                self.assertFalse(found[key].is_allowed, found[key])
        self.assertIn("fruit's sugar", found["us_sugar_free"].why)

    def test_reduced_asks_a_quarter_in_the_us_and_three_tenths_in_the_eu(self) -> None:
        for sugar, us, eu in ((156, False, False), (144, True, False), (115, True, True)):
            after = f"{300 - sugar / 2:.1f} g plain flour\n{sugar} g sugar\n100 g butter\n{100 + (200 - sugar) / 2:.1f} ml water"
            found = said("200 g plain flour\n200 g sugar\n100 g butter\n100 ml water", after)
            with self.subTest(sugar):
                self.assertEqual((found["us_reduced"].is_allowed, found["eu_reduced"].is_allowed), (us, eu), found)

    def test_reduced_in_the_eu_must_not_hold_more_energy(self) -> None:
        found = said(BASE, "200 g plain flour\n80 g sugar\n220 g butter\n200 ml milk")
        self.assertFalse(found["eu_reduced"].is_allowed)
        self.assertIn("holds more", found["eu_reduced"].why)

    def test_honey_and_dates_put_in_for_sugar_bar_no_added_sugar_under_both_laws(self) -> None:
        dates = said(BASE, "200 g plain flour\n200 g date paste\n100 g butter\n100 ml milk")
        self.assertFalse(dates["us_no_added"].is_allowed)
        self.assertIn("date paste takes the place", dates["us_no_added"].why)
        self.assertFalse(dates["eu_no_added"].is_allowed)
        honey = said(BASE, "200 g plain flour\n100 g honey\n100 g butter\n100 ml milk")
        self.assertFalse(honey["us_no_added"].is_allowed)
        self.assertIn("honey", honey["us_no_added"].why)

    def test_an_erythritol_shortbread_may_be_called_sugars_free(self) -> None:
        found = said(BASE, "200 g cornflour\n60 g erythritol\n100 g ghee")
        self.assertTrue(found["eu_sugar_free"].is_allowed, found)
        self.assertTrue(found["us_sugar_free"].is_allowed, found)
        self.assertFalse(found["us_low"].is_allowed)

    def test_sugar_of_the_fruit_must_be_told(self) -> None:
        banana = "200 g plain flour\n300 g mashed banana\n100 g butter\n100 ml water"
        kept = said(f"{banana}\n100 g sugar", banana)
        self.assertTrue(kept["eu_no_added"].is_allowed)
        self.assertTrue(kept["us_no_added"].is_allowed)
        self.assertIn("naturally occurring", kept["eu_no_added"].why)
        raised = said(f"{banana.replace('300', '200')}\n100 g sugar", banana)
        self.assertFalse(raised["eu_no_added"].is_allowed)
        self.assertFalse(raised["us_no_added"].is_allowed)

    def test_milk_and_nuts_are_not_put_in_for_sugar(self) -> None:
        found = said(BASE, "220 g plain flour\n250 ml milk\n100 g butter\n60 g almonds")
        self.assertTrue(found["us_no_added"].is_allowed, found)
        self.assertTrue(found["eu_no_added"].is_allowed, found)

    def test_sugar_free_holds_in_the_reference_amount_too(self) -> None:
        """21 CFR 101.60(c)(1): under 0.5 g in the reference amount and in the portion; from memory of the text."""
        text = "100 g almond flour\n200 g cornflour\n100 g ghee"
        found = said(BASE, text, servings=100)["us_sugar_free"]
        self.assertFalse(found.is_allowed, found)
        self.assertIn("not low in calories", found.why)

    def test_the_reference_amount_is_that_of_the_kind_of_dessert(self) -> None:
        """21 CFR 101.12(b), table 2: cookies 30 g, brownies 40 g, light, medium and heavy cakes 55, 80 and 125 g; from memory of the table."""
        published = (
            ("crisp_cookie", 30), ("brownie", 40), ("foam_cake", 55), ("butter_cake", 80), ("cheesecake", 125),
            ("fried_dough", 55), ("pancake", 110), ("granola", 60),
        )  # fmt: skip
        for key, grams in published:
            with self.subTest(key):
                self.assertEqual(reference_amount([families()[key].kin]).grams, grams)
        self.assertEqual(reference_amount([families()["frosting"].kin, families()["butter_cake"].kin]).grams, 80)
        self.assertEqual(reference_amount([]).grams, 125)
        # 0.45 g of sugars in 30 g of it, 1.9 g in 125 g: a cookie may be called sugar free, a slice may not.
        one, two = (
            formula_of(f"Before\n{BASE}"),
            formula_of("After\n200 g cornflour\n29 g almond flour\n60 g erythritol\n100 g ghee\n75 ml milk"),
        )
        for kind, allowed in (("crisp_cookie", True), ("cheesecake", False)):
            found = claims(total(one.lines), total(two.lines), two.lines, 20, one.lines, [families()[kind].kin])
            with self.subTest(kind):
                self.assertEqual(next(c for c in found if c.key == "us_sugar_free").is_allowed, allowed, found)

    def test_low_in_calories_is_forty_in_the_reference_amount(self) -> None:
        """21 CFR 101.60(b)(2): at most 40 kcal in it, and in 50 g of what is eaten by 30 g or less; from memory of the text."""
        one = formula_of(f"Before\n{BASE}")
        for text, kind, words in (
            ("300 ml water\n100 g strawberries\n5 g gelatine", "custard", "it is low in calories"),
            ("300 ml water\n100 g strawberries\n120 g cornflour", "custard", "not low in calories"),
            ("200 ml water\n50 g cornflour", "cookie", "it is low in calories"),
            ("200 ml water\n60 g cornflour", "cookie", "not low in calories"),
        ):
            two = formula_of(f"After\n{text}")
            found = claims(total(one.lines), total(two.lines), two.lines, 4, one.lines, [families()[kind].kin])
            with self.subTest(text):
                self.assertIn(words, next(c for c in found if c.key == "us_sugar_free").why)

    def test_no_plan_that_brings_fruit_is_said_to_be_without_added_sugar(self) -> None:
        for path in ("fruit", "blend"):
            for text in (CAKE, DESSERTS["muffin"], DESSERTS["quick bread"]):
                made = rework(formula_of(text), Goals(path=path, cut=1.0), PANTRY)
                more = {
                    x.ingredient
                    for x in made.lines
                    if x.after_g > x.before_g and PANTRY[x.ingredient].has_role("puree", "paste")
                }
                allowed = {c.key for c in made.claims if c.is_allowed}
                with self.subTest(path):
                    self.assertFalse(more and {"us_no_added", "eu_no_added"} & allowed)

    def test_every_plan_carries_them(self) -> None:
        made = rework(formula_of(CAKE), Goals(path="zero", cut=0.5), PANTRY)
        self.assertEqual(len(made.claims), 8)


class WaterActivity(CloseTo):
    def test_sucrose_solutions(self) -> None:
        """Published activities of sucrose solutions at 25 C (handbook values, from memory)."""
        for share, published in ((0.20, 0.987), (0.40, 0.964), (0.50, 0.935), (0.60, 0.895), (0.673, 0.850)):
            with self.subTest(share):
                self.assertClose(solution_activity(1 - share, {"sucrose_g": share}), published, absolute=0.006)

    def test_molar_masses_are_those_of_the_elements(self) -> None:
        """Computed by the library chemicals from the standard atomic weights."""
        formulas = {
            "sucrose_g": "C12H22O11", "glucose_g": "C6H12O6", "fructose_g": "C6H12O6", "lactose_g": "C12H22O11",
            "maltose_g": "C12H22O11", "galactose_g": "C6H12O6", "erythritol_g": "C4H10O4", "xylitol_g": "C5H12O5",
            "sorbitol_g": "C6H14O6", "maltitol_g": "C12H24O11", "allulose_g": "C6H12O6", "dextrin_g": "C30H52O26",
        }  # fmt: skip
        self.assertEqual(set(formulas), set(SOLUTES))
        for name, formula in formulas.items():
            weight = chemicals.elements.molecular_weight(chemicals.elements.simple_formula_parser(formula))
            with self.subTest(name):
                self.assertClose(SOLUTES[name][0], weight, absolute=0.02)
        self.assertClose(WATER_MOLAR, chemicals.elements.molecular_weight({"H": 2, "O": 1}), absolute=0.002)

    def test_less_sugar_frees_water_and_dry_things_have_no_figure(self) -> None:
        rich, lean = (
            formula_of("A\n100 g flour\n200 g sugar\n200 ml water"),
            formula_of("B\n100 g flour\n80 g sugar\n200 ml water"),
        )
        one, two = crumb_activity(rich.lines), crumb_activity(lean.lines)
        assert one and two
        self.assertLess(one, two)
        self.assertIsNone(crumb_activity(formula_of("C\n300 g flour\n100 g sugar\n100 g butter").lines))

    def test_no_water_is_refused(self) -> None:
        with self.assertRaises(OutOfDomainError):
            solution_activity(0.0, {"sucrose_g": 10.0})


class Told(unittest.TestCase):
    """Common practice, no published source."""

    def plan(self, text: str, **goals: object) -> Plan:
        return rework(formula_of(text), Goals(**goals), PANTRY)  # type: ignore[arg-type]

    def test_flavour_is_told_where_sweetness_goes_and_nothing_is_counted_for_it(self) -> None:
        made = self.plan(CAKE, path="less", cut=0.4)
        self.assertTrue(2 <= len(made.flavour) <= 4)
        for tip in made.flavour:
            self.assertIn(tip.ingredient, PANTRY)
            self.assertTrue(tip.amount and tip.words)
        self.assertEqual(self.plan(CAKE, path="zero", cut=0.4, keep_sweet=0.95).flavour, ())
        nutless = self.plan(CAKE, path="less", cut=0.4, diets=("nut_free",))
        self.assertNotIn("nuts", [tip.key for tip in nutless.flavour])

    def test_more_batter_is_more_pieces(self) -> None:
        made = self.plan(CAKE, path="fruit", cut=0.7)
        ratio = made.totals_after.mass_g / made.totals_before.mass_g
        told = [words for words in made.advice if "of the old size" in words]
        self.assertEqual(bool(told), abs(ratio - 1) > 0.05)

    def test_a_wetter_fruit_cake_keeps_less_long_and_is_never_called_safe(self) -> None:
        made = self.plan(
            "Cake\n200 g flour\n250 g sugar\n100 g butter\n100 g egg\n150 ml milk\n8 g baking powder",
            path="less",
            cut=0.5,
            keep_sweet=0.5,
        )
        self.assertTrue(any("Keeps less long" in words for words in made.advice), made.advice)
        self.assertFalse(any("safe" in words.lower() for words in made.advice))


if __name__ == "__main__":
    unittest.main()
