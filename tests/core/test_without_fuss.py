"""A plan asks nothing of a baker that gains nobody anything: small parts stay, dashes go, what others made is not trimmed.

Common practice, no published source.
"""

from __future__ import annotations

import itertools
import unittest

from bench.desserts import DESSERTS

from sun_crumb.core.balance.verdicts import HARDLY
from sun_crumb.core.formula import from_reading, with_foams
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe
from tests.support.plans import grams_of, plan

PANTRY = shipped_pantry()

PIE = """Squash pie
Makes 8 slices
Pastry
175 g plain flour
85 g butter
15 g icing sugar
1 egg yolk
Filling
400 g pumpkin purée
150 g light brown sugar
2 eggs
250 ml evaporated milk
1 tsp cinnamon
Bake the filled case at 180C for 40 minutes."""
SHELL = "Nut pie\nServes 8\n1 9-inch unbaked pie shell\n3 eggs\n340 g golden syrup\n200 g sugar\n30 g butter\n150 g pecans\nBake at 180C for 60 minutes."
SCONES = "Scones\nMakes 8\n350 g self-raising flour\n1 tsp baking powder\n85 g butter\n40 g caster sugar\n175 ml milk\nBake at 220C for 10 minutes."
LIME = "Lime pie\nServes 8\n200 g digestive biscuits\n90 g butter\nFilling\n400 g condensed milk\n3 egg yolks\n120 ml lime juice\n20 g icing sugar\nBake at 160C for 15 minutes, chill."
SAUCE = "Set cream\nServes 4\n400 ml double cream\n30 g sugar\n3 leaves gelatine\nBerry sauce\n300 g raspberries\n150 g sugar\n100 ml water\nSimmer the berries, sugar and water for 5 minutes."

ANZAC = "Anzac biscuits\nMakes 24\n100 g rolled oats\n100 g plain flour\n85 g desiccated coconut\n100 g caster sugar\n100 g butter\n1 tbsp golden syrup\n1 tsp baking soda\n2 tbsp boiling water\nRoll into balls, bake 10 min at 180C."
HORNS = "Almond horns\nMakes 35\n300 g plain flour\n100 g ground almonds\n200 g cold butter\n80 g icing sugar\n2 egg yolks\nKnead, chill, shape in crescents, bake 12 min at 175C."
RICE = "Rice pudding\nServes 6\n110 g pudding rice\n1.2 litres whole milk\n1 tin evaporated milk (170 g)\n55 g sugar\nBake at 150C for 2 hours."
TART = (
    "Frangipane tart\nServes 10\nPastry\n200 g plain flour\n100 g butter\n50 g icing sugar\n1 egg yolk\n1-2 tbsp water\nFrangipane\n125 g butter\n125 g caster sugar\n"
    "2 eggs\n125 g ground almonds\n25 g plain flour\nFruit\n10 ripe apricots\n2 tbsp flaked almonds\n2 tbsp apricot jam to glaze\nBake at 170C for 40 minutes."
)
TOFFEE = "Sponge pudding\nServes 8\nPudding\n200 g caster sugar\n2 eggs\n150 g plain flour\n1 tsp baking soda\n30 g butter\n100 ml milk\nSauce\n250 ml double cream\n125 g butter\n150 g sugar\n120 ml water\nBake the pudding at 180C for 40 minutes. Boil the sauce ingredients together and pour over."
CURD_BARS = "Lemon bars\nMakes 16 bars\nShortbread\n125 g plain flour\n30 g icing sugar\n115 g butter\nLemon layer\n200 g sugar\n15 g plain flour\n1/2 tsp baking powder\n2 eggs\n80 ml lemon juice\nBake the base at 180C for 18 minutes. Whisk the lemon layer, pour on, bake 20 minutes."

QUEEN = (
    "Queen of puddings\nServes 6\n85 g fresh breadcrumbs\n600 ml milk\n25 g butter\nzest of a lemon\n50 g + 175 g caster sugar\n3 large eggs, separated\n4 tbsp raspberry jam\n"
    "Warm the milk, butter, zest and the 50 g sugar. Pour over the crumbs and yolks. Bake at 170C for 25 minutes. Spread with jam. Whisk the whites with the 175 g. Pile on. Bake 25 minutes more."
)
WET = (
    "Fruit cake\nServes 14\nCake\n375 g plain flour\n400 g white sugar\n1 tsp baking soda\n3 eggs\n300 ml oil\n225 g crushed pineapple\n450 g mashed banana\n"
    "Frosting\n225 g cream cheese\n115 g butter\n480 g icing sugar\nBake at 175C for 30 minutes."
)
SNICKERS = (
    "Snickerdoodles\nMakes 36\n1 cup butter\n1 cup sugar\n1/2 cup packed brown sugar\n3/4 cup pumpkin puree\n1 egg\n3 3/4 cups flour\n1 1/2 tsp baking powder\n"
    "Coating\n1/2 cup sugar\n1 tsp cinnamon\nRoll in the coating. Bake at 175C for 10 minutes."
)
COLD = "Set cheesecake\nServes 12\nBase\n250 g digestive biscuits\n100 g butter\nFilling\n600 g cream cheese\n100 g icing sugar\n300 ml double cream\nBeat the filling, spread on the base, chill."


def new(made: object, component: str = "") -> set[str]:
    """Return what a plan brings into a component."""
    return {
        line.ingredient
        for line in made.lines  # type: ignore[attr-defined]
        if line.position is None and line.after_g > 0 and line.component == component
    }


class Fuss(unittest.TestCase):
    def test_a_part_that_holds_little_of_the_sugar_keeps_it(self) -> None:
        made = plan(PIE, path="blend", cut=0.5)
        before, after = {
            line.ingredient: (line.before_g, line.after_g) for line in made.lines if line.component == "pastry"
        }["icing_sugar"]
        self.assertEqual(before, after)
        self.assertEqual(new(made, "pastry"), set())
        # The filling pays for it: the whole is cut by half all the same.
        self.assertLess(grams_of(made, "light_brown_sugar"), 75)

    def test_a_deep_cut_takes_the_small_part_too(self) -> None:
        self.assertLess(grams_of(plan(PIE, path="zero", cut=0.97), "icing_sugar"), 15)

    def test_a_bought_shell_is_not_trimmed(self) -> None:
        for path in ("blend", "fruit", "zero"):
            with self.subTest(path):
                self.assertEqual(grams_of(plan(SHELL, path=path, cut=0.5), "shortcrust_pastry"), 225)

    def test_little_sugar_is_worth_one_sweetener(self) -> None:
        self.assertEqual(len(new(plan(SCONES, path="blend", cut=0.5))), 1)

    def test_a_lime_pie_keeps_the_condensed_milk_that_sets_it(self) -> None:
        for path in ("blend", "less", "zero"):
            with self.subTest(path):
                self.assertEqual(grams_of(plan(LIME, path=path, cut=0.5), "condensed_milk"), 400)

    def test_half_the_sugar_that_stays_is_one_of_a_blend_and_one_sweetener_the_other(self) -> None:
        for name in ("butter cake", "oil cake", "muffin", "cheesecake", "shortbread"):
            with self.subTest(name):
                self.assertEqual(len(new(plan(DESSERTS[name], path="blend", cut=0.5))), 1)

    def test_no_flour_goes_no_fat_and_no_egg_comes(self) -> None:
        """What wet sweeteners ask for is a spoon more or less to drink, and that no wider than a baker's hand."""
        for (name, text), path in itertools.product(DESSERTS.items(), ("blend", "fruit", "unrefined")):
            made = plan(text, path=path, cut=0.5, definition="free_sugars_who_g")
            for line in made.lines:
                if line.position is None or not line.before_g or line.before_g == line.after_g:
                    continue
                ingredient, share = PANTRY[line.ingredient], line.after_g / line.before_g
                with self.subTest(name, path=path, line=line.ingredient):
                    if ingredient.has_role("flour"):
                        self.assertGreater(share, 0.99)
                    elif ingredient.group in ("fat", "egg"):
                        self.assertLess(share, 1.01)
                    elif ingredient.has_role("liquid") and not ingredient.has_role("syrup"):
                        self.assertTrue(0.45 < share < 1.35, share)

    def test_a_cream_sauce_takes_no_fruit_and_a_curd_no_soda(self) -> None:
        for path in ("blend", "fruit"):
            with self.subTest(path):
                self.assertFalse(new(plan(TOFFEE, path=path, cut=0.5), "sauce") & {"applesauce", "banana"})
                self.assertNotIn("baking_soda", new(plan(CURD_BARS, path=path, cut=0.5), "lemon layer"))

    def test_a_berry_sauce_stays_one_of_its_berries(self) -> None:
        for path in ("blend", "fruit"):
            with self.subTest(path):
                brought = new(plan(SAUCE, path=path, cut=0.5), "berry sauce")
                self.assertFalse(brought & {"applesauce", "banana", "pear_puree"}, brought)

    def test_a_cake_that_its_name_calls_pale_gets_no_dates_where_others_are_at_hand(self) -> None:
        cake = "\nServes 10\n200 g butter\n200 g caster sugar\n3 eggs\n200 g self-raising flour\n30 ml milk\nBake at 180C for 50 minutes."
        self.assertNotIn("date_paste", new(plan("Lemon loaf" + cake, path="blend", cut=0.5)))
        # Who asks for fruit gets it.
        self.assertTrue(new(plan("Lemon loaf" + cake, path="fruit", cut=0.5)) & {"date_paste", "date_sugar"})

    def test_what_is_told_as_balanced_lies_within_the_band_that_is_shown(self) -> None:
        made = plan(SCONES, path="blend", cut=0.5)
        for part in made.balance:
            for verdict in part.verdicts:
                low, high = verdict.limits
                if verdict.level == "balanced" and verdict.key != "sweetness":
                    self.assertTrue(low - 0.001 <= verdict.deviation <= high + 0.001, verdict)
        self.assertGreater(HARDLY, 1)

    def test_less_erythritol_comes_in_rather_than_half_a_spoon_of_water_for_it(self) -> None:
        made = plan(ANZAC, path="blend", cut=0.5)
        self.assertEqual(grams_of(made, "water"), 30.0)
        self.assertEqual(made.status, "balanced")

    def test_dry_sugar_of_another_kind_comes_in_at_most_as_much_as_sugar_goes(self) -> None:
        for text in (HORNS, SCONES, ANZAC):
            made = plan(text, path="fruit", cut=0.5)
            came = sum(x.after_g for x in made.lines if x.position is None and x.ingredient == "date_sugar")
            went = sum(x.before_g - x.after_g for x in made.lines if x.before_g > x.after_g)
            with self.subTest(text.split("\n")[0]):
                self.assertLessEqual(came, went + 1.0)

    def test_a_spoon_of_sugar_is_given_back_rather_than_milk_weighed_anew(self) -> None:
        made = plan(RICE, path="fruit", cut=0.5)
        self.assertEqual([x.ingredient for x in made.lines if abs(x.after_g - x.before_g) > 0.5], ["white_sugar"])
        self.assertGreater(grams_of(made, "white_sugar"), 30.0)

    def test_no_flour_of_nuts_comes_in_to_sweeten_a_crust(self) -> None:
        made = plan(TART, path="fruit", cut=0.5)
        self.assertEqual([x for x in made.lines if x.ingredient == "almond_flour" and x.component == "pastry"], [])

    def test_white_chocolate_hides_nothing_brown(self) -> None:
        for chocolate, comes_in in (("white", False), ("dark", True)):
            text = (
                f"Set cream\nServes 8\n600 g cream cheese\n100 g icing sugar\n300 ml double cream\n200 g {chocolate} chocolate\n200 g raspberries\n"
                "Whip the cream, fold all together, chill overnight."
            )
            made = plan(text, path="unrefined", cut=1.0)
            with self.subTest(chocolate):
                self.assertEqual(any(x.ingredient == "coconut_sugar" and x.after_g > 0 for x in made.lines), comes_in)


class OneJar(unittest.TestCase):
    """What a baker would have to fetch, measure and do for nothing."""

    def test_whites_that_are_piled_on_keep_their_sugar_in_a_list_of_whole_eggs(self) -> None:
        made = plan(QUEEN, path="zero", cut=0.6)
        self.assertGreaterEqual(grams_of(made, "caster_sugar"), 0.8 * 225 - 3)
        folded = plan(QUEEN.replace("Pile on", "Fold into the rest"), path="zero", cut=0.6)
        self.assertLess(grams_of(folded, "caster_sugar"), 0.6 * 225)

    def test_a_batter_wet_with_fruit_takes_no_milk(self) -> None:
        for path in ("zero", "less", "blend"):
            with self.subTest(path):
                self.assertFalse(new(plan(WET, path=path, cut=0.75), "cake") & {"milk", "water", "yoghurt"})

    def test_two_parts_share_a_jar_and_none_takes_two_of_a_kind(self) -> None:
        kinds = {"erythritol", "stevia_erythritol", "monk_fruit_erythritol"}
        for text, part in ((SNICKERS, "coating"), (WET, "frosting"), (TART, "frangipane")):
            for cut in (0.4, 0.6, 0.75):
                made = plan(text, path="zero", cut=cut)
                used = {line.ingredient for line in made.lines if line.position is None} & kinds
                with self.subTest(part, cut=cut):
                    self.assertLessEqual(len(used), 1)

    def test_a_spoon_that_nobody_fills_beside_another_is_told_nowhere(self) -> None:
        for text in (SNICKERS, WET, QUEEN, LIME):
            for cut in (0.5, 0.6, 0.7, 0.9):
                for line in plan(text, path="zero", cut=cut).lines:
                    self.assertNotIn("+ 1/32", line.household)

    def test_what_is_ground_is_what_stays_in_grains(self) -> None:
        coated = plan(SNICKERS, path="zero", cut=0.6)
        self.assertTrue(new(coated, "coating"))
        self.assertFalse([told for told in coated.advice if "Coating" in told and "rind" in told])
        cold = plan(COLD, path="zero", cut=0.8)
        self.assertTrue(any("as fine as the icing sugar" in told for told in cold.advice), cold.advice)

    def test_a_jar_of_fruit_mince_is_named_where_it_holds_the_sugar(self) -> None:
        text = "Mince pies\nMakes 18\nPastry\n350 g plain flour\n200 g butter\n40 g icing sugar\nFilling\n411 g mincemeat\nBake at 200C for 15 minutes."
        told = next(u.words for u in plan(text, path="zero", cut=0.7).unmet if u.goal == "cut")
        self.assertIn("in the mincemeat, which the plan leaves alone", told)

    def test_whites_that_are_no_longer_piled_on_free_their_sugar(self) -> None:
        """A method that is mended takes the mark that the earlier one set."""
        text = "Queen of puddings\n\n300 ml milk\n40 g butter\n75 g white bread\n3 eggs\n175 g caster sugar\n\nWhisk the whites with the sugar and pile the meringue on. Bake at 170 C for 20 minutes."
        piled = from_reading(read_recipe(text, shipped_pantry()), shipped_pantry())[0]
        self.assertEqual([x.ingredient.key for x in piled.lines if x.is_foam], ["caster_sugar"])
        self.assertFalse(any(x.is_foam for x in with_foams(piled.lines, "Whisk all and bake.")))


if __name__ == "__main__":
    unittest.main()
