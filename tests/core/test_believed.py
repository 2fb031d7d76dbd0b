"""Plans that a baker believes, on desserts that nobody tuned for: families, rules over random wishes, patterns and norms.

Common practice, no published source, where nothing else is said.
"""

from __future__ import annotations

import re
import unittest
from pathlib import Path

from bench.desserts import DESSERTS
from bench.unseen import UNSEEN

from sun_crumb.core.balance import families, measure, natures
from sun_crumb.core.balance.norms import absolutes, norms
from sun_crumb.core.balance.patterns import patterns
from sun_crumb.core.errors import CoreError
from sun_crumb.core.exploring import check
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import rework
from sun_crumb.core.wish import Goals
from tests.support import CloseTo, formula_of
from tests.support.believed import faults, wish
from tests.support.plans import grams_of, plan

PANTRY = shipped_pantry()
# Where a careful baker looks for the water of 100 g of raw mass (from memory of common practice): of each family most patterns lie there.
WATER = {
    "butter_cake": (23, 38), "oil_cake": (27, 45), "foam_cake": (33, 50), "quick_bread": (27, 50), "brownie": (12, 29), "cookie": (9, 17),
    "shortbread": (7, 15), "pie_crust": (19, 27), "crumble": (7, 13), "yeast_dough": (30, 40), "pancake": (45, 64), "curd": (38, 55), "glaze": (12, 20),
    "frozen": (46, 66), "sorbet": (66, 75), "granola": (5, 14), "cheesecake": (42, 60), "energy_ball": (8, 18),
}  # fmt: skip


class Nature(unittest.TestCase):
    def test_families_of_desserts_that_nobody_tuned_for(self) -> None:
        right = told = 0
        for text, wanted in UNSEEN:
            for component, found in natures(formula_of(text)).items():
                allowed = wanted.get(component, "*").split("|")
                told += 1
                is_right = allowed == ["*"] or found.family.key in allowed
                right += is_right
                with self.subTest(text.split("\n")[0], component=component):
                    # What is wrong is at least asked.
                    self.assertTrue(is_right or not found.is_sure, found.ranked)
        self.assertGreaterEqual(right / told, 0.95)

    def test_families_of_named_desserts(self) -> None:
        told = (Path(__file__).with_name("named_desserts.txt")).read_text(encoding="utf-8").splitlines()[1:]
        for row in told:
            wanted, title, makes, foods, how = row.split("|")
            formula = formula_of(f"{title}\n{makes}\n\n" + foods.replace(";", "\n") + f"\n\n{how}")
            with self.subTest(title):
                self.assertEqual(natures(formula)[formula.heaviest()].family.key, wanted)

    def test_families_of_the_parts_of_desserts(self) -> None:
        """Each text stands behind the families that its parts may be of, written without a look at the families; common practice, no published source."""
        told = (Path(__file__).with_name("named_parts.txt")).read_text(encoding="utf-8")
        texts = re.split(r"^===== (.*)\n", told, flags=re.M)[1:]
        for wanted, text in zip(texts[::2], texts[1::2], strict=True):
            found = natures(formula_of(text))
            for part, keys in (said.split("=") for said in wanted.split("; ")):
                with self.subTest(text.split("\n", 1)[0], part=part):
                    self.assertIn(found[part].family.key, keys.split("|"))

    def test_what_the_method_does_and_a_portion_is_called_count(self) -> None:
        lines = "200 g plain flour\n100 g butter\n120 g white sugar\n1 egg"
        soft, crisp = (
            natures(formula_of(f"Tea rounds\nMakes 20 {unit}\n{lines}\n{method}"))[""]
            for unit, method in (
                ("cookies", "Cream the butter and sugar. Drop by the spoonful. Bake for 9 minutes, still soft."),
                ("biscuits", "Rub in, roll out, cut out with a cutter. Bake for 14 minutes until crisp."),
            )
        )
        shares = [dict(found.ranked).get("crisp_cookie", 0.0) for found in (soft, crisp)]
        self.assertGreater(shares[1], shares[0] + 0.1)

    def test_what_is_never_heated_is_no_cake(self) -> None:
        lines = "Makes 12\n250 g digestive biscuits\n200 g dark chocolate\n100 g butter"
        found = natures(
            formula_of(f"Chocolate slab\n{lines}\nMelt, stir, press into a tin and chill until set overnight.")
        )
        self.assertIn(found[""].family.key, ("no_bake", "crumb_crust"))

    def test_a_doubt_is_asked_and_the_bakers_word_is_none(self) -> None:
        text = (
            "Tea time rounds\nMakes 20\n280 g plain flour\n225 g butter\n250 g white sugar\n2 eggs\n1 tsp baking soda"
        )
        unsure = plan(text, path="less").balance[0]
        self.assertFalse(unsure.is_sure)
        self.assertGreater(len(unsure.candidates), 1)
        said = plan(text, path="less", families={"": "cookie"}).balance[0]
        self.assertTrue(said.is_sure)
        self.assertEqual(said.family, "cookie")


class Rules(unittest.TestCase):
    def test_no_plan_breaks_a_bakers_rule(self) -> None:
        texts = [*DESSERTS.values(), *(text for text, _ in UNSEEN)]
        made = 0
        for seed in range(130):
            formula = formula_of(texts[seed % len(texts)])
            goals = wish(seed)
            try:
                found = rework(formula, goals, PANTRY)
            except CoreError:
                continue
            made += 1
            with self.subTest(formula.title, seed=seed):
                self.assertEqual(faults(formula, goals, found), [])
        self.assertGreaterEqual(made, 100)


class Changes(CloseTo):
    def test_a_loaf_of_bananas_grows_by_bananas_and_not_by_milk(self) -> None:
        text = "Banana loaf\nMakes 10 slices\n250 g plain flour\n180 g light brown sugar\n300 g ripe bananas, mashed\n2 eggs\n90 ml sunflower oil\n1 tsp baking soda"
        made = plan(text, path="fruit", cut=0.7)
        self.assertGreater(grams_of(made, "banana"), 1.2 * 300)
        self.assertEqual(grams_of(made, "milk"), 0)

    def test_the_cut_goes_where_each_can_bear_it(self) -> None:
        """Half of a meringue's sugar holds its foam: the cream beneath gives more."""
        text = "Pavlova cups\nServes 6\nMeringue\n4 egg whites\n220 g caster sugar\nFor the custard\n400 ml milk\n100 ml double cream\n5 egg yolks\n120 g caster sugar"
        made = plan(text, path="less", cut=0.3)
        left = {
            c: sum(x.grams for x in made.after.lines if x.component == c and x.ingredient.key == "caster_sugar")
            for c in made.after.components
        }
        whites, custard = left["meringue"] / 220, left["custard"] / 120
        self.assertGreaterEqual(whites, 0.8 - 1e-9)
        self.assertLess(custard, 0.6)

    def test_a_bought_sweet_thing_may_make_way(self) -> None:
        text = "Crumb base\nServes 12\n250 g digestive biscuits\n100 g butter, melted\nBlitz, mix and press into a tin. Chill."
        made = rework(formula_of(text), Goals(path="zero", cut=0.9), PANTRY)
        grams = {x.ingredient: x.after_g for x in made.lines}
        self.assertEqual((grams["digestive_biscuit"], grams["oat_crumb"]), (0.0, 250.0))
        self.assertGreaterEqual(made.savings.free_sugars_who_g, 0.9 * 4.9)
        text = "Coconut macaroons\nMakes 20\n300 g desiccated coconut\n300 g condensed milk\n2 egg whites"
        made = plan(text, path="zero", cut=0.6, including=("stevia_erythritol",))
        self.assertNotIn("nothing to cut", made.words)
        jam = plan("Jam slice\nMakes 12\n200 g plain flour\n120 g butter\n80 g sugar\n250 g jam", path="less", cut=0.5)
        swapped = next((x for x in jam.lines if x.ingredient == "fruit_spread" and x.after_g > 0), None)
        if swapped is not None:
            self.assertIn("instead of jam", swapped.reason)

    def test_what_stands_in_the_cupboard_and_is_not_used_is_named(self) -> None:
        text = "Vanilla custard\nServes 4\n500 ml milk\n4 egg yolks\n90 g caster sugar\n1 tsp vanilla"
        made = plan(
            text,
            path="blend",
            cut=0.5,
            cupboard=("date_paste", "coconut_sugar", "honey", "stevia_erythritol", "erythritol"),
        )
        told = " ".join(made.advice).lower()
        used = {x.ingredient for x in made.after.lines}
        for key in ("date_paste", "coconut_sugar", "honey", "stevia_erythritol", "erythritol"):
            if key not in {PANTRY[k].key for k in ()} and all(key != x.key for x in used):
                with self.subTest(key):
                    self.assertIn(PANTRY[key].name.lower(), told)

    def test_a_recipe_in_grams_goes_on_in_grams(self) -> None:
        made = plan(DESSERTS["butter cake"], path="unrefined", cut=0.5)
        for line in made.lines:
            if line.after_g > 15 and not PANTRY[line.ingredient].has_role("egg", "leaven", "flavour"):
                self.assertRegex(line.household, r"^\d+ (g|ml)$")
        sugar = next(x for x in made.lines if x.ingredient == "caster_sugar")
        self.assertClose(sugar.after_g, 112.5, absolute=1.01)


class Headlines(CloseTo):
    def test_no_refined_sugar_is_said_where_there_is_none(self) -> None:
        clean = plan(DESSERTS["butter cake"], path="unrefined", cut=1.0)
        self.assertIn("No refined sugar.", clean.words)
        half = plan(DESSERTS["butter cake"], path="unrefined", cut=0.5)
        self.assertNotIn("No refined sugar", half.words)
        self.assertRegex(half.words, r"Refined sugar left: [\d.]+ g in each slice, most of it in the caster sugar")

    def test_a_smaller_portion_is_no_saving(self) -> None:
        made = plan(DESSERTS["caramel"], path="less", cut=0.2)
        lighter = 1 - made.totals_after.mass_g / made.totals_before.mass_g
        self.assertGreater(lighter, 0.06)
        self.assertIn("weight for weight", made.words)

    def test_little_sweetness_is_told(self) -> None:
        made = plan(DESSERTS["butter cake"], path="less", cut=0.5)
        sweet = made.totals_after.sucrose_equivalent_g / made.totals_after.mass_g
        was = made.totals_before.sucrose_equivalent_g / made.totals_before.mass_g
        self.assertIn(f"It tastes {100 * sweet / was:.0f} % as sweet.", made.words)


class Norms(CloseTo):
    def test_every_pattern_is_in_balance_by_the_norms_of_its_family(self) -> None:
        self.assertGreaterEqual(len(patterns()), 80)
        for pattern in patterns():
            with self.subTest(pattern.key):
                found = check(Formula(pattern.name, pattern.lines, 8), {"": pattern.family})[0]
                self.assertTrue(found.is_in_balance, (found.words, found.warnings))

    def test_patterns_hold_the_water_that_bakers_know(self) -> None:
        for family, (low, high) in WATER.items():
            held = [absolutes(measure(p.lines))["water"] for p in patterns() if p.family == family]
            near = [water for water in held if low - 1 <= water <= high + 1]
            with self.subTest(family):
                self.assertGreater(len(near), 0.6 * len(held), held)

    def test_norms_are_where_patterns_are_and_a_little_around(self) -> None:
        for family in families():
            found = norms(family)
            self.assertIn("water", found, family)
            for pattern in patterns():
                if pattern.family != family:
                    continue
                held = absolutes(measure(pattern.lines))
                for key, norm in found.items():
                    if key in held:
                        self.assertEqual(norm.reach(held[key]), 0.0, (pattern.key, key))
        self.assertLess(norms("shortbread")["water"].high, norms("butter_cake")["water"].high)

    def test_a_recipe_without_sugar_is_judged_and_mended(self) -> None:
        text = "Banana bake\nMakes 10 slices\n250 g oat flour\n350 g ripe bananas, mashed\n2 eggs\n50 ml olive oil\n{}\nBake for 50 minutes."
        sound = check(formula_of(text.format("1½ tsp baking soda")))[0]
        self.assertEqual((sound.family, sound.is_in_balance), ("quick_bread", True))
        soapy = check(formula_of(text.format("2 tbsp baking soda")))[0]
        self.assertIn("more soda than its acid can meet", soapy.words)
        mend = next(m for m in soapy.mends if m.ingredient == "baking_soda")
        self.assertLess(mend.after_g, mend.before_g)
        lines = text.format("2 tbsp baking soda").replace("2 tbsp baking soda", f"{mend.household} baking soda")
        self.assertTrue(check(formula_of(lines))[0].is_in_balance, mend)

    def test_too_wet_a_batter_may_never_bake_through(self) -> None:
        text = "Plain cake\nMakes 10\n200 g plain flour\n150 g sugar\n120 g butter\n2 eggs\n420 ml milk\n2 tsp baking powder\nBake at 180 °C"
        found = check(formula_of(text))[0]
        self.assertIn("may never bake through", found.words)
        self.assertTrue(any(m.ingredient == "milk" and m.after_g < m.before_g for m in found.mends), found.mends)

    def test_raw_flour_where_nothing_is_heated_is_told(self) -> None:
        text = (
            "Energy balls\nMakes 16\n200 g medjool dates\n100 g almonds\n80 g plain flour\nRoll into balls and chill."
        )
        self.assertIn("stays raw here", " ".join(check(formula_of(text))[0].warnings))

    def test_moisture_in_words_is_true_of_the_water(self) -> None:
        made = plan(DESSERTS["sponge"], path="fruit", cut=0.6)
        before, after = (
            sum(x.ingredient.per_100g.water_g * x.grams for x in f.lines) / f.mass_g for f in (made.before, made.after)
        )
        moisture = next(v for v in made.balance[0].verdicts if v.key == "liquid")
        if after > before:
            self.assertNotIn("drier", moisture.words)


class Gut(CloseTo):
    def test_all_that_the_gut_minds_shares_one_limit(self) -> None:
        limits = {"erythritol_g": 15.0, "inulin_g": 8.0, "maltitol_g": 10.0, "allulose_g": 20.0}
        for name, text in DESSERTS.items():
            made = plan(text, path="zero", cut=0.9, cupboard=("erythritol", "inulin", "allulose"), most_new=3)
            whole = sum(
                getattr(x.ingredient.per_100g, field) * x.grams / 100 / most
                for x in made.after.lines
                for field, most in limits.items()
            )
            with self.subTest(name):
                self.assertLessEqual(whole / made.after.servings, 1.005)

    def test_the_recipes_own_counts_too(self) -> None:
        text = "Bars\nMakes 8\n200 g rolled oats\n100 g butter\n90 g xylitol\n60 g honey"
        made = plan(text, path="zero", cut=0.9)
        own = 90 / 8 / 10
        self.assertGreater(own, 1)
        self.assertEqual(
            {x.ingredient for x in made.lines if x.position is None} & {"stevia_erythritol", "erythritol", "inulin"},
            set(),
        )

    def test_a_sensitive_table_bears_half(self) -> None:
        goals = Goals(path="zero", cut=0.9, eaters=("sensitive",))
        self.assertLess(goals.sitting_share, 1.0)
        made = rework(formula_of(DESSERTS["muffin"]), goals, PANTRY)
        held = sum(x.ingredient.per_100g.erythritol_g * x.grams for x in made.after.lines) / 100 / made.after.servings
        self.assertLessEqual(held, 15 * goals.sitting_share * 1.005)


if __name__ == "__main__":
    unittest.main()
