"""Plans as a baker reads them: what was asked is what a portion gets, and nothing silly stands in them."""

from __future__ import annotations

import unittest

from bench.desserts import DESSERTS

from sun_crumb.core.balance import QUANTITIES
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import Plan
from tests.support import CAKE, CloseTo
from tests.support.plans import grams_of, plan

PANTRY = shipped_pantry()
EVEN = dict.fromkeys(QUANTITIES, 1.0)


def cut_of(made: Plan, counted: str = "free_sugars_who_g") -> float:
    return 1 - getattr(made.totals_after, counted) / getattr(made.totals_before, counted)


class Cuts(CloseTo):
    def test_what_was_asked_is_what_a_portion_gets(self) -> None:
        """Half the sugar is half of what the recipe had, give or take half a tablespoon: as near as a kitchen comes."""
        for name in ("butter cake", "muffin", "quick bread", "custard", "frozen"):
            for path in ("fruit", "zero", "blend"):
                if path == "fruit" and name in ("custard", "frozen", "butter cake"):
                    continue  # no fruit suits them, and little the pale crumb: see the next
                made = plan(DESSERTS[name], path=path, cut=0.5)
                with self.subTest(name, path=path):
                    half_spoon = 7.0 / made.totals_before.free_sugars_who_g
                    self.assertClose(cut_of(made), 0.5, absolute=0.01 + half_spoon)

    def test_in_a_pale_crumb_the_cut_gives_way_before_its_colour(self) -> None:
        made = plan(DESSERTS["butter cake"], path="fruit", cut=0.5)
        self.assertClose(cut_of(made), 0.42, absolute=0.04)
        self.assertIn("hardly be sweet", next(u.words for u in made.unmet if u.goal == "cut"))

    def test_where_nothing_sweetens_the_cut_gives_way_before_it_is_hardly_sweet(self) -> None:
        """A quarter to a third of the sugar goes unmissed, half does not (common practice, no published source)."""
        for name in ("custard", "frozen"):
            made = plan(DESSERTS[name], path="fruit", cut=0.5)
            with self.subTest(name):
                self.assertClose(cut_of(made), 0.35, absolute=0.1)
                sweet = made.totals_after.sucrose_equivalent_g / made.totals_before.sucrose_equivalent_g
                self.assertClose(sweet, 0.74, absolute=0.06)
                self.assertIn("hardly be sweet", next(u.words for u in made.unmet if u.goal == "cut"))
            # Who asks for less sweetness gets the cut, and so does who takes the path that simply takes less.
            for wish in ({"path": "fruit", "keep_sweet": 0.5}, {"path": "less"}):
                with self.subTest(name, **wish):
                    self.assertClose(cut_of(plan(DESSERTS[name], cut=0.5, **wish)), 0.5, absolute=0.03)

    def test_half_of_the_condensed_milk_may_make_way(self) -> None:
        made = plan(
            "No-churn ice\nServes 10\n400 g strawberries\n1 x 397 g tin condensed milk\n600 ml double cream\nWhip, fold and freeze.",
            path="blend",
        )
        grams = {x.ingredient: x.after_g for x in made.lines}
        self.assertClose(grams["condensed_milk"], 397 / 2, absolute=1)
        self.assertClose(grams["evaporated_milk"], 397 / 2, absolute=10)
        self.assertClose(cut_of(made), 0.5, absolute=0.03)

    def test_a_glaze_takes_less_juice_with_less_sugar(self) -> None:
        text = "Loaf\nServes 10\n200 g plain flour\n100 g butter\n120 g sugar\n2 eggs\n2 tsp baking powder\nIcing:\n120 g icing sugar\n23 g lemon juice"
        lines = {x.ingredient: x for x in plan(text, path="fruit", cut=0.5).lines if x.component == "icing"}
        sugar, juice = lines["icing_sugar"], lines["lemon_juice"]
        self.assertLess(sugar.after_g, 0.8 * sugar.before_g)
        self.assertClose(juice.after_g / juice.before_g, sugar.after_g / sugar.before_g, rel=0.1)
        # Juice told by its fruit stays: nobody squeezes nine tenths of two lemons.
        told = plan(text.replace("23 g lemon juice", "juice of 1 lemon"), path="fruit", cut=0.5)
        self.assertTrue(all(x.after_g == x.before_g for x in told.lines if x.ingredient == "lemon_juice"))

    def test_what_cant_go_takes_not_all_of_what_can(self) -> None:
        """Frangipane over jam: half the sugar asked for is no reason to leave four grams of it in the almonds."""
        made = plan(
            "Tart\nServes 10\nPastry\n200 g plain flour\n100 g butter\n40 g icing sugar\n1 egg yolk\nFilling\n150 g raspberry jam\n125 g butter\n"
            "125 g caster sugar\n2 eggs\n125 g ground almonds",
            path="blend",
        )
        kept = next(x for x in made.lines if x.ingredient == "caster_sugar")
        self.assertGreater(kept.after_g, 0.25 * kept.before_g)
        self.assertIn("the rest is in the jam", next(u.words for u in made.unmet if u.goal == "cut"))

    def test_a_topping_takes_less_and_nothing_in_its_place(self) -> None:
        """No baker weighs two spoons of a sweetener into a crumble (common practice, no published source)."""
        text = (
            "Rhubarb tart\nServes 8\nFilling\n400 g rhubarb\n120 g caster sugar\n2 eggs\n200 ml double cream\n1 tbsp cornflour\n"
            "Crumble\n80 g plain flour\n50 g butter\n50 g demerara sugar"
        )
        for path in ("blend", "fruit"):
            made = plan(text, path=path)
            with self.subTest(path):
                self.assertEqual([x.ingredient for x in made.lines if x.component == "crumble" and not x.before_g], [])
                sugar = next(x for x in made.lines if x.ingredient == "demerara_sugar")
                self.assertClose(sugar.after_g / sugar.before_g, 0.75, absolute=0.1)
        # Who wants all of it gone gets something for it.
        made = plan(text, path="zero", cut=1.0)
        self.assertTrue(any(x.component == "crumble" and not x.before_g for x in made.lines))

    def test_whites_keep_their_sugar_in_a_list_that_they_share(self) -> None:
        """Less than half of its sugar no meringue stands on (common practice, no published source)."""
        pie = "Lemon meringue pie\nServes 8\n250 g sweet shortcrust pastry\n3 lemons, zest and juice\n50 g cornflour\n250 ml water\n200 g caster sugar\n4 egg yolks\n50 g butter\n4 egg whites\n200 g caster sugar\n"
        alaska = "Baked Alaska\nServes 8\n200 g sponge cake\n1 l vanilla ice cream\n4 egg whites\n220 g caster sugar\n"
        for text in (pie, alaska):
            for path in ("blend", "zero", "fruit"):
                made = plan(text + "Bake at 200C for 8 minutes.", path=path, cut=0.5)
                last = [x for x in made.lines if x.ingredient == "caster_sugar"][-1]
                with self.subTest(text[:12], path=path):
                    self.assertGreaterEqual(last.after_g, 0.79 * last.before_g)

    def test_boiled_toffee_takes_nothing_that_it_would_not_set_with(self) -> None:
        """Whatever it is called: to such a heat only what sets by its sugar is boiled (common practice, no published source)."""
        for text in (
            "Apples on sticks\nMakes 8\n8 small apples\n400 g caster sugar\n4 tbsp golden syrup\n100 ml water\nBoil the sugar, syrup and water to 150C, dip the apples.",
            "Rose squares\nMakes 40\n450 g sugar\n500 ml water\n100 g cornflour\n1 tsp lemon juice\nBoil sugar and half the water to 115C. Cook the cornflour in the rest, combine, set.",
            "Damsons for the shelf\nMakes 4 jars\n1 kg damsons\n800 g sugar\n150 ml water\nSimmer the damsons soft, add the sugar and boil to 105C.",
        ):
            for path in ("blend", "fruit"):
                made = plan(text, path=path, cut=0.5)
                with self.subTest(text[:12], path=path):
                    self.assertLess(grams_of(made, "date_paste") + grams_of(made, "date_sugar"), 1)
                    self.assertLess(cut_of(made), 0.4)

    def test_nothing_wet_comes_into_melted_chocolate(self) -> None:
        bars = "Fridge bars\nMakes 16\n200 g milk chocolate\n100 g dark chocolate\n100 g butter\n3 tbsp golden syrup\n200 g digestive biscuits\n100 g raisins\nMelt, stir in biscuits and raisins, press in a tin, chill 2 hours."
        for path in ("blend", "fruit", "zero"):
            made = plan(bars, path=path, cut=0.5)
            with self.subTest(path):
                new = [x.ingredient for x in made.lines if not x.before_g and x.after_g]
                self.assertFalse([key for key in new if PANTRY[key].per_100g.water_g > 25], new)

    def test_fruit_comes_in_for_no_more_milk_and_no_fewer_eggs(self) -> None:
        made = plan(
            "Pumpkin muffins\nMakes 12\n225 g plain flour\n2 tsp baking powder\n1/2 tsp baking soda\n2 tsp mixed spice\n200 g light brown sugar\n2 eggs\n"
            "120 ml sunflower oil\n250 g pumpkin puree\n60 ml milk",
            path="fruit",
        )
        self.assertGreater(grams_of(made, "banana") + grams_of(made, "date_paste"), 50)
        self.assertLess(grams_of(made, "milk"), 63)
        # Of two eggs half a one may go, and not one.
        self.assertGreater(grams_of(made, "egg"), 74)

    def test_a_small_cut_is_not_driven_further_to_be_less_sweet(self) -> None:
        made = plan(CAKE, path="less", cut=0.2, keep_sweet=0.6)
        self.assertClose(cut_of(made), 0.2, absolute=0.03)
        sweetness = next(v for v in made.balance[0].verdicts if v.key == "sweetness")
        self.assertGreater(sweetness.deviation, 0.2)
        # Much sweeter than was asked is told, and is no balance.
        self.assertEqual(sweetness.level, "strained")
        self.assertEqual([u.goal for u in made.unmet], ["sweetness"])

    def test_sweeter_than_the_original_is_a_fault(self) -> None:
        made = plan(CAKE, path="zero", cut=0.1, keep_sweet=1.3, cupboard=("stevia_erythritol",))
        sweetness = next(v for v in made.balance[0].verdicts if v.key == "sweetness")
        self.assertLessEqual(abs(sweetness.deviation), 0.16)

    def test_more_batter_around_the_same_sugar_is_no_cut(self) -> None:
        """What the plan says was reached is the batch's; the ledger compares equal weights, so a larger batch saves less."""
        made = plan(DESSERTS["shortbread"], path="zero", cut=0.8)
        told = next(u for u in made.unmet if u.goal == "cut")
        self.assertClose(told.reached, cut_of(made), absolute=0.001)
        grown = made.totals_after.mass_g / made.totals_before.mass_g
        saved = made.savings.times(made.after.servings).free_sugars_who_g / (
            grown * made.totals_before.free_sugars_who_g
        )
        self.assertClose(1 - saved, (1 - cut_of(made)) / grown, absolute=0.005)

    def test_no_crumbs_of_a_sugar_are_left(self) -> None:
        for name, text in DESSERTS.items():
            for path in ("unrefined", "blend"):
                for line in plan(text, path=path, cut=0.98).lines:
                    with self.subTest(name, path=path, line=line.ingredient):
                        self.assertFalse(0 < line.after_g < 0.02 * line.before_g)

    def test_what_keeps_a_cut_short_is_named(self) -> None:
        made = plan(DESSERTS["brownie"], path="unrefined")
        told = next(u.words for u in made.unmet if u.goal == "cut")
        self.assertIn("the rest is in the dark chocolate", told)
        sugar = next(n for n, line in enumerate(made.before.lines) if line.ingredient.key == "caster_sugar")
        locked = plan(DESSERTS["butter cake"], path="zero", locks={1: 225.0})
        self.assertEqual(sugar, 1)
        self.assertIn("the rest is in the caster sugar", next(u.words for u in locked.unmet if u.goal == "cut"))


if __name__ == "__main__":
    unittest.main()
