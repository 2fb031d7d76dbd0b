"""Plans line by line: every change has a reason, stays in its place and is measured as it can be."""

from __future__ import annotations

import unittest

from bench.desserts import DESSERTS

from sun_crumb.core.balance import METRICS, QUANTITIES, families, gauges, nature_of
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.formula.recipe import is_crushed
from sun_crumb.core.offers.moves import is_cuttable, move_of
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.household import household
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reference import table
from sun_crumb.core.rework import Plan
from sun_crumb.core.wish import paths
from tests.support import CAKE, CloseTo, formula_of
from tests.support.plans import LOAF, grams_of, plan

PANTRY = shipped_pantry()
EVEN = dict.fromkeys(QUANTITIES, 1.0)


def cut_of(made: Plan, counted: str = "free_sugars_who_g") -> float:
    return 1 - getattr(made.totals_after, counted) / getattr(made.totals_before, counted)


class Lines(CloseTo):
    LAYERS = """Layer cake
Serves 12
For the cake:
250 g plain flour
350 g caster sugar
200 g butter
4 eggs
150 ml milk
2 tsp baking powder
For the frosting:
200 g butter
400 g icing sugar
3 tbsp milk
"""

    def test_a_portion_is_eaten_whole_cake_and_frosting(self) -> None:
        """15 g of erythritol a portion (constants.csv, erythritol_serving), not in each component; half spoons round."""
        made = plan(self.LAYERS, path="zero", cut=0.9)
        held = sum(x.ingredient.per_100g.erythritol_g * x.grams / 100 for x in made.after.lines)
        self.assertLess(held / 12, 16.5)
        self.assertEqual(len({x.component for x in made.lines if x.ingredient == "stevia_erythritol"}), 2)

    def test_what_is_not_baked_does_not_brown(self) -> None:
        for balance in plan(self.LAYERS, path="unrefined").balance:
            browns = any(v.key == "browning" for v in balance.verdicts)
            self.assertEqual(browns, balance.component == "cake")

    def test_every_new_line_has_a_reason_of_its_own(self) -> None:
        for name, text in DESSERTS.items():
            for path in paths():
                for line in plan(text, path=path, cut=0.6).lines:
                    if line.before_g == 0 and line.after_g > 0:
                        with self.subTest(name, path=path, line=line.ingredient):
                            self.assertTrue(line.reason)
                            self.assertNotIn("rounding", line.reason)

    def test_no_milk_in_shortbread_and_no_jaggery_unasked(self) -> None:
        """Common practice, no published source."""
        for path in paths():
            made = plan(DESSERTS["shortbread"], path=path)
            self.assertFalse({"milk", "water"} & {x.ingredient for x in made.lines if x.after_g > 0}, path)
        for text in DESSERTS.values():
            made = plan(text, path="unrefined")
            self.assertNotIn("jaggery", {x.ingredient for x in made.lines})
        asked = plan(CAKE, path="unrefined", cupboard=("jaggery",))
        self.assertIn("jaggery", {x.ingredient for x in asked.lines})

    def test_flavour_and_ready_made_things_hardly_move(self) -> None:
        """A curd is its lemon, and biscuits come from the packet (common practice, no published source)."""
        curd = "Lemon curd\nServes 10\n4 lemons, juice and zest\n150 g sugar\n3 eggs\n100 g butter"
        layers = "Coffee layers\nServes 8\n250 g mascarpone\n200 ml double cream\n80 g sugar\n200 g sponge fingers\n300 ml coffee"
        for key in ("lemon_curd", "toffee_bits", "marshmallow", "sprinkles", "drinking_chocolate", "caramel_sauce"):
            self.assertFalse(is_cuttable(FormulaLine(PANTRY[key], 50.0), "total_sugars_g"), key)
        for key in ("lemon_curd", "jam", "caramel_sauce", "marmalade"):
            self.assertIsNone(
                move_of(FormulaLine(PANTRY[key], 50.0, is_crushed=True), "free_sugars_who_g", families()["custard"]),
                key,
            )
        for key in ("white_sugar", "honey", "icing_sugar", "date_syrup", "date_sugar", "golden_syrup"):
            self.assertTrue(is_cuttable(FormulaLine(PANTRY[key], 50.0), "total_sugars_g"), key)
        for path in paths():
            for line in plan(curd, path=path, cut=0.6).lines:
                if line.ingredient == "lemon_juice":
                    self.assertGreaterEqual(line.after_g, 0.84 * line.before_g)
            fingers = next(x for x in plan(layers, path=path).lines if x.ingredient == "sponge_fingers")
            self.assertEqual(fingers.after_g, fingers.before_g)

    def test_a_whisked_sponge_keeps_the_sugar_that_holds_it_up(self) -> None:
        """Common practice, no published source: a foam of eggs needs about its half."""
        text = "Fatless sponge\nServes 8\n4 eggs\n120 g caster sugar\n120 g plain flour"
        for path in ("fruit", "less", "unrefined"):
            made = plan(text, path=path, cut=0.9)
            self.assertEqual(made.balance[0].family, "foam_cake")
            kept = sum(
                x.ingredient.per_100g.sucrose_g * x.grams / 100
                for x in made.after.lines
                if x.ingredient.has_role("sugar")
            )
            with self.subTest(path):
                self.assertGreater(kept, 0.5 * 120)
        self.assertTrue(any("holds up the whisked eggs" in told for told in plan(text, path="fruit", cut=0.9).instead))

    def test_advice_says_which_component(self) -> None:
        text = "Cake\nServes 8\n200 g flour\n200 g sugar\n200 g butter\n4 eggs\n2 tsp baking powder\nFor the glaze:\n100 g icing sugar\n20 ml milk"
        advice = plan(text, path="unrefined", cupboard=("honey",)).advice
        self.assertTrue(any(told.startswith("The base: browns sooner") for told in advice), advice)
        alone = plan(text.split("For the glaze")[0], path="unrefined", cupboard=("honey",)).advice
        self.assertTrue(any(told.startswith("Browns sooner") for told in alone), alone)

    def test_only_the_main_component_makes_the_pieces(self) -> None:
        text = "Buns\nMakes 12 buns\n500 g strong flour\n7 g dried yeast\n60 g sugar\n250 ml milk\n1 egg\nFor the filling:\n120 g brown sugar\n80 g butter"
        advice = plan(text, path="less", cut=0.5).advice
        self.assertTrue(
            any(told.startswith("Filling: ") and "of it for the same 12 buns" in told for told in advice), advice
        )
        self.assertFalse(any("Filling" in told and "instead of 12" in told for told in advice))

    def test_no_brown_lumps_in_a_pale_icing(self) -> None:
        """Common practice, no published source."""
        icing = (
            "Sponge\nServes 8\n200 g butter\n200 g sugar\n4 eggs\n200 g flour\nFor the frosting:\n250 g icing sugar\n{}"
        )
        pale = plan(icing.format("200 g cream cheese"), path="fruit")
        self.assertEqual({x.component for x in pale.lines if x.ingredient == "date_paste"}, {""})
        asked = plan(icing.format("200 g cream cheese"), path="fruit", cupboard=("date_paste",))
        self.assertIn("frosting", {x.component for x in asked.lines if x.ingredient == "date_paste"})

    def test_nothing_is_touched_for_little(self) -> None:
        """A few millilitres of milk, or a gram of sugar in the topping, gain no baker anything."""
        tray = (
            "Lemon traybake\nMakes 16 squares\n225 g soft butter\n225 g caster sugar\n275 g self-raising flour\n"
            "4 large eggs\n4 tbsp milk\nFor the glaze:\n175 g granulated sugar\njuice of 2 lemons"
        )
        for path in ("blend", "zero"):
            made = plan(tray, path=path, cut=0.5)
            moved = {x.ingredient for x in made.lines if x.before_g and x.before_g != x.after_g}
            with self.subTest(path):
                self.assertEqual(moved, {"caster_sugar", "white_sugar"})
        loaf = plan(LOAF, path="blend", cut=0.5)
        self.assertEqual(grams_of(loaf, "banana"), sum(x.before_g for x in loaf.lines if x.ingredient == "banana"))

    def test_a_vanilla_ice_cream_stays_one(self) -> None:
        ice = "Vanilla ice cream\nServes 8\n300 ml milk\n300 ml double cream\n5 egg yolks\n120 g caster sugar\n1 vanilla pod\nChurn and freeze."
        for path in ("blend", "fruit"):
            made = plan(ice, path=path, cut=0.5)
            self.assertNotIn("banana", {x.ingredient for x in made.lines})
        banana = plan(f"{ice}\n200 g ripe banana, mashed", path="fruit", cut=0.5)
        self.assertGreaterEqual(grams_of(banana, "banana"), 200)

    def test_half_of_a_meringues_sugar_stays_whatever_stands_in(self) -> None:
        """Common practice, no published source."""
        made = plan("Meringues\nMakes 12\n4 egg whites\n230 g caster sugar", path="zero", cut=0.9)
        self.assertGreaterEqual(grams_of(made, "caster_sugar"), 114)
        self.assertEqual(made.status, "unmet")
        bulk = {x.ingredient for x in made.lines if x.position is None} - {"stevia_extract"}
        self.assertEqual(bulk, {"maltitol"})

    def test_a_part_of_a_recipe_by_weight_goes_on_in_grams(self) -> None:
        made = plan(
            "Orange loaf\nCuts into 10 slices\n175 g butter\n150 g caster sugar\n3 eggs\n140 g self-raising flour\n"
            "For the syrup:\njuice of 1 orange\n50 g caster sugar",
            path="blend",
            cut=0.5,
        )
        syrup = [x.household for x in made.lines if x.component == "syrup"]
        self.assertTrue(all(told.endswith(" g") for told in syrup), syrup)

    def test_medium_eggs_are_counted_as_they_are(self) -> None:
        made = plan(
            "Fairy cakes\nMakes 12\n120 g butter\n120 g caster sugar\n2 medium eggs\n120 g self-raising flour",
            path="blend",
            cut=0.5,
        )
        eggs = next(x for x in made.lines if x.ingredient == "egg")
        self.assertEqual((eggs.household, round(eggs.before_g)), ("2", 88))

    def test_a_thirsty_flour_is_given_what_it_takes(self) -> None:
        muffins = "Muffins\nMakes 12\n250 g plain flour\n2 tsp baking powder\n130 g caster sugar\n2 eggs\n100 ml oil\n175 ml buttermilk"
        milk = [grams_of(plan(muffins, path="blend", cut=0.5, thirst=share), "buttermilk") for share in (0.0, 0.1)]
        self.assertGreater(milk[1], 1.05 * milk[0])

    def test_a_chewy_cookie_is_no_snap(self) -> None:
        text = (
            "{} ginger molasses cookies\nMakes 24\n280 g plain flour\n2 tsp baking soda\n2 tsp ground ginger\n170 g butter, melted\n"
            "200 g dark brown sugar\n85 g molasses\n1 egg\n65 g sugar, for rolling\nRoll the dough into balls. Bake at 190 C for 10 minutes."
        )
        self.assertEqual(
            [nature_of(formula_of(text.format(word)), "").family.key for word in ("Chewy", "Crisp")],
            ["cookie", "crisp_cookie"],
        )

    def test_a_cooking_apple_is_whole_until_it_is_cooked(self) -> None:
        """Broken up, its sugars count as free in the UK and its water as the batter's."""
        told = {"3 cooking apples, diced": False, "3 apples, cooked to a mash": True, "cooking chocolate": False}
        self.assertEqual({text: is_crushed(text) for text in told}, told)

    def test_a_trace_of_fat_is_none(self) -> None:
        """A drizzle of sugar and lemon holds a tenth of a gram: coconut sugar's half gram more is nothing."""
        made = plan("Lemon drizzle\nServes 10\n100 g icing sugar\n3 tbsp lemon juice", path="unrefined")
        self.assertEqual(made.status, "balanced")

    def test_macarons_stand_on_their_whites_and_pancakes_see_no_oven(self) -> None:
        text = (
            "Almond macarons\nMakes 30\n150 g ground almonds\n150 g icing sugar\n110 g egg whites\n150 g caster sugar"
        )
        made = plan(text, path="fruit")
        self.assertEqual(made.balance[0].family, "meringue")
        self.assertFalse(any(x.ingredient in ("milk", "date_paste") for x in made.lines))
        cakes = "Pancakes\nMakes 12\n200 g flour\n90 g sugar\n2 eggs\n250 ml milk\n2 tsp baking powder"
        told = " ".join(plan(cakes, path="unrefined", cupboard=("honey",)).advice)
        self.assertIn("under the pan", told)
        self.assertNotIn("oven", told)

    def test_yeast_with_less_sugar_is_told(self) -> None:
        """Much sugar slows yeast (common practice, no published source)."""
        buns = "Buns\nMakes 12\n500 g strong flour\n7 g dried yeast\n90 g sugar\n250 ml milk\n60 g butter\n1 egg"
        for cut, is_told in ((0.6, True), (0.1, False)):
            advice = plan(buns, path="less", cut=cut).advice
            self.assertEqual(any("yeast works sooner" in told for told in advice), is_told, cut)

    def test_ground_sweetener_for_frosting(self) -> None:
        made = plan(DESSERTS["frosting"], path="zero")
        self.assertTrue(any("fine as icing sugar" in told for told in made.advice))
        self.assertFalse(any("fine as icing sugar" in told for told in plan(CAKE, path="zero").advice))

    def test_a_pinch_that_sweetens_a_bowl_is_measured_finely(self) -> None:
        """A thirty-second of a teaspoon is the smallest spoon sold (common practice, no published source)."""
        spoon = PANTRY["stevia_extract"].measure("tsp")
        assert spoon is not None
        us = cup_standard("us")
        for part, text in (
            (1 / 32, "1/32 tsp"),
            (1 / 16, "1/16 tsp"),
            (3 / 32, "1/16 tsp"),
            (7 / 32, "⅛ + 1/16 tsp"),
            (0.25, "¼ tsp"),
            (1, "1 tsp"),
        ):
            with self.subTest(text):
                self.assertEqual(household(PANTRY["stevia_extract"], part * spoon.grams, us), text)
        self.assertEqual(household(PANTRY["salt"], 0.35, us), "a pinch")
        for name in ("shortbread", "drop cookie", "brownie", "frosting"):
            made = plan(DESSERTS[name], path="zero")
            sweetness = next(v for v in made.balance[0].verdicts if v.key == "sweetness")
            with self.subTest(name):
                self.assertLess(sweetness.after / sweetness.before, 1.08)

    def test_sweeter_than_the_original_is_told(self) -> None:
        made = plan(CAKE, path="zero", cut=0.2, keep_sweet=0.9, locks={0: 200.0}, including=("stevia_extract",))
        sweetness = next(v for v in made.balance[0].verdicts if v.key == "sweetness")
        self.assertGreater(sweetness.after, sweetness.before)
        self.assertEqual(sweetness.level == "balanced", "sweetness" not in {u.goal for u in made.unmet})


class Words(unittest.TestCase):
    def test_every_family_has_words_for_all_it_minds(self) -> None:
        for family in families().values():
            found = gauges(family, EVEN)
            self.assertEqual([g.metric.key for g in found], list(family.bands))
            for gauge in found:
                with self.subTest(family.key, metric=gauge.metric.key):
                    self.assertTrue(gauge.name and gauge.less and gauge.more)

    def test_what_has_no_crumb_and_no_tin_is_not_told_so(self) -> None:
        for key in ("caramel", "candied", "frosting", "sauce", "fruit", "frozen", "custard", "meringue"):
            for gauge in gauges(families()[key], EVEN):
                words = f"{gauge.name} {gauge.less} {gauge.more}"
                with self.subTest(key, metric=gauge.metric.key):
                    self.assertNotRegex(words, r"\b(crumb|crumbly|tin|batter)\b")

    def test_the_table_names_only_what_there_is(self) -> None:
        for row in table("textures"):
            with self.subTest(row["metric"], families=row["families"]):
                self.assertIn(row["metric"], METRICS)
                self.assertLessEqual(set(row["families"].split()), set(families()))
                self.assertTrue(row["source"])


if __name__ == "__main__":
    unittest.main()
