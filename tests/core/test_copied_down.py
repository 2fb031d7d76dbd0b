"""Desserts as bakers copy them: what a hand leaves out, puts aside or says in its own tongue. Common practice, no published source; recipes are made up."""

from __future__ import annotations

import unittest

from sun_crumb.core.reading.oven_heat import read_oven
from sun_crumb.core.reference import constant
from tests.core.weighing import METHOD, listed, read, weighed


class WhatIsFried(unittest.TestCase):
    """Oil to fry in: two litres of it stood in the totals, 16,000 kcal of what stays in the pan."""

    DOUGH = "500 g bread flour\n60 g sugar\n200 g milk\n2 L oil for frying\n\nKnead. Fry at 180 C, 2 min each side."

    def test_what_the_dough_takes_up_counts(self) -> None:
        told = read(f"Doughnuts\n\n{self.DOUGH}")
        oil = next(line for line in told.lines if line.ingredient == "neutral_oil")
        self.assertAlmostEqual(oil.grams or 0, constant("taken_up_frying") * 760, delta=1)
        self.assertIn("for frying", oil.changed)
        self.assertLess(oil.grams_high or 0, 120)

    def test_it_is_near_what_tables_tell_of_doughnuts(self) -> None:
        """FoodData Central, SR Legacy "Doughnuts, yeast-leavened, glazed, enriched": 22.7 g of fat in 100 g (from memory); a tenth of the dough's water is lost."""
        told = weighed(
            "Doughnuts\n\n500 g bread flour\n60 g sugar\n60 g butter\n1 egg\n240 g milk\n2 L oil for frying\n\nKnead. Fry at 180 C."
        )
        fat = told["neutral_oil"] + 0.82 * told["butter"] + 6
        self.assertAlmostEqual(100 * fat / (0.92 * sum(told.values())), 22.7, delta=4)

    def test_a_little_oil_stays_as_it_is(self) -> None:
        self.assertAlmostEqual(
            listed("300 g plain flour", "2 eggs", "1 tbsp oil for frying")["neutral_oil"], 13.6, delta=1
        )

    def test_oil_of_the_batter_is_no_frying_oil(self) -> None:
        self.assertGreater(listed("100 g plain flour", "250 ml sunflower oil")["neutral_oil"], 200)


class NamedWithoutANumber(unittest.TestCase):
    """ "snufje zout" below "1 ei" went on with the egg; a dotted handful was lost with its chocolate."""

    def test_a_pinch_in_any_tongue_is_a_line_of_its_own(self) -> None:
        for egg, pinch in (
            ("1 ei", "snufje zout"),
            ("1 Ei", "Prise Salz"),
            ("1 œuf", "pincée sel"),
            ("1 egg", "pinch salt"),
        ):
            with self.subTest(pinch):
                told = listed("200 g flour", egg, pinch, "100 g butter")
                self.assertEqual(set(told), {"plain_flour", "egg", "salt", "butter"})

    def test_a_small_handful(self) -> None:
        told = listed("4 tbsp flour", "2 tbsp sugar", "sm. handful choc. chips")
        self.assertEqual(told["chocolate_chips"], 40.0)

    def test_little_biscuits_weigh_less_than_big_ones(self) -> None:
        self.assertAlmostEqual(listed("45 vanilla wafers", "500 ml milk")["small_vanilla_biscuits"], 166, delta=10)


class OnlyTheMethod(unittest.TestCase):
    """What only the method names is asked: the juice of fruit whose zest the list has was lost."""

    def test_juice_beside_listed_zest(self) -> None:
        told = read(
            "Cake\n\n200 g butter\n200 g ground almonds\nzest 2 lemons\n\nBake 40 minutes. Boil the juice of the 2 lemons with 100 g icing sugar."
        )
        asked = {line.ingredient: line.grams for line in told.lines if line.status == "ask"}
        self.assertEqual(asked, {"icing_sugar": 100.0, "lemon_juice": 90.0})

    def test_what_is_weighed_behind_if_you_have_them(self) -> None:
        told = weighed(
            "Flapjack\n\nmelt 175 g butter with 175 g golden syrup, stir into 350 g oats, handful of chopped dates if you've got them (about 60 g). Bake."
        )
        self.assertEqual(told["medjool_date"], 60.0)

    def test_a_tin_only_for_its_liquid(self) -> None:
        told = listed(
            "1 can (400 ml) chickpeas — you only need the liquid, about 150 ml aquafaba", "150 g dark chocolate"
        )
        self.assertAlmostEqual(told["aquafaba"], 152, delta=3)


class OneLineSaysMore(unittest.TestCase):
    """Eggs and what weighs as much; fruit and its own juice."""

    def test_eggs_and_their_weight(self) -> None:
        told = listed(
            "3 eggs (weigh them) and the same weight of caster sugar and self-raising flour (mine came to 180 g in shell, so 180 g each)"
        )
        self.assertEqual((told["egg"], told["caster_sugar"], told["self_raising_flour"]), (150.0, 180.0, 180.0))

    def test_zest_and_its_juice(self) -> None:
        told = listed("200 g flour", "Zest of 1 orange + 2 tbsp of its juice")
        self.assertAlmostEqual(told["orange_juice"], 31, delta=1)

    def test_dried_in_german_is_dried(self) -> None:
        self.assertIn("dried_cranberry", listed("80 g Cranberrys, getrocknet", "100 g Mehl"))

    def test_rye_beside_whiskey_is_no_flour(self) -> None:
        self.assertNotIn("rye_flour", listed("300 g honey", "1/4 cup rye or whiskey"))


class TwoAmounts(unittest.TestCase):
    """A weight in a bracket between two amounts: the second was lost, surely."""

    def test_a_weight_beside_the_first(self) -> None:
        for line, grams in (
            ("1/2 cup (100 g) plus 2 tbsp sugar", 125.4),
            ("2/3 cup (146 grams) plus 1 1/2 tablespoons sugar, divided", 165),
            ("1 cup (200 g) sugar plus 2 tbsp", 225),
            ("1 cup (200 g) plus 1 tbsp (12 g) sugar", 212),
            ("1/2 cup + 1 tbsp (125 g) sugar", 125),
        ):
            with self.subTest(line):
                self.assertAlmostEqual(listed("200 g flour", line)["white_sugar"], grams, delta=1)

    def test_two_foods_behind_a_long_dash(self) -> None:
        told = listed("200 g flour", "1 qt strawberries, sliced — ¼ C sugar")
        self.assertAlmostEqual(told["white_sugar"], 51, delta=3)

    def test_pieces_in_other_tongues(self) -> None:
        told = weighed(
            f"Lebkuchen\nMenge | Zutat\n200 g | Mehl\n4 St. | Eier (M)\n150 g | Butter\n100 g | Zucker{METHOD}"
        )
        self.assertEqual(told["egg"], 200.0)


class WhatACountIsOf(unittest.TestCase):
    """Nine rings of pineapple weighed eight kilograms, three and a half cups were three eaters."""

    def test_slices_are_no_whole_fruit(self) -> None:
        told = listed("9 slices canned pineapple in juice", "2 slices lemon", "100 g flour")
        self.assertAlmostEqual(told["pineapple"], 423, delta=30)

    def test_cups_are_no_portions(self) -> None:
        told = read("Spiced nuts\n2 cups pecans\n1/3 cup sugar\n\nToss, bake 30 min at 300F. Makes 3 1/2 cups.")
        self.assertIsNone(told.portions and told.portions.count)

    def test_so_many_in_glasses_slices_or_cases(self) -> None:
        for said, count in (
            ("Serves 6 in glasses.", 6),
            ("Slice: about 24.", 24),
            ("12 cases.", 12),
            ("8–10.", 8),
            ("8-10 slices, custard compulsory", 8),
        ):
            with self.subTest(said):
                told = read(f"Slab\n\n200 g flour\n100 g butter\n2 eggs\n\nMix all. Chill well. {said}")
                self.assertEqual(told.portions and told.portions.count, count)
        self.assertIsNone(read("Cake\n\n200 g flour\n100 g butter\n\nServes 9 in tins.\n\nMix all.").oven)

    def test_a_part_of_a_tin_is_a_part_of_what_it_holds(self) -> None:
        self.assertAlmostEqual(listed("3/4 tin condensed milk (395 g)", "100 g rice")["condensed_milk"], 296, delta=3)
        self.assertAlmostEqual(listed("1/2 tin condensed milk (200 g)", "100 g rice")["condensed_milk"], 200, delta=3)

    def test_small_ones_are_the_other_way(self) -> None:
        told = read(
            f"Scones\n(makes 9, or 16 dinky ones)\n\n1 lb self raising flour\n4 oz butter\n2 oz caster sugar{METHOD}"
        )
        self.assertEqual(told.portions and told.portions.count, 9)

    def test_an_egg_made_up_with_milk(self) -> None:
        told = listed("1 lb self raising flour", "1 egg, topped up to 1/2 pint with milk")
        self.assertEqual(told["egg"], 50.0)
        self.assertTrue(180 < told["milk"] < 250, told)

    def test_a_white_loaf_is_no_white(self) -> None:
        self.assertEqual(listed("1 large white loaf, stale (800 g)", "700 ml milk")["white_bread"], 800.0)

    def test_what_has_no_fat_has_none(self) -> None:
        self.assertIn("greek_yoghurt_fat_free", listed("300g Greek yog (0%)", "2 tbsp honey"))

    def test_more_of_it_for_the_basin(self) -> None:
        told = listed("3 tbsp thick-cut marmalade + 2 for the bottom of the basin", "100 g flour")
        self.assertAlmostEqual(told["marmalade"], 101, delta=5)

    def test_ground_erythritol_is_lighter(self) -> None:
        told = read(f"Cookies\nAlmond flour — 200 g / 2 cups\nErythritol, powdered — 80 g / 2/3 cup\nEgg — 1{METHOD}")
        self.assertEqual([line.status for line in told.lines if line.grams], ["ok"] * 3)


class PartsInOneLine(unittest.TestCase):
    """A part, its foods and how in one line: what is done was no step, and its count was lost."""

    LINES = (
        "Lemon squares. 350 oven.\nCRUST 1 cup butter, 1/2 cup powdered sugar, 2 cups flour, pinch salt. Mix, press in 9x13, bake 20 min.\n"
        "TOP 4 eggs, 2 cups sugar, 1/3 cup lemon juice. Beat, pour on hot crust, bake 25 min more. Dust. Cut 24."
    )

    def test_what_is_done_is_a_step(self) -> None:
        told = read(self.LINES)
        self.assertEqual(len(told.steps), 2)
        self.assertEqual((told.title, told.portions and told.portions.count), ("Lemon squares", 24))
        self.assertEqual({line.component for line in told.lines if line.grams}, {"crust", "top"})

    def test_a_unit_beside_the_part(self) -> None:
        told = weighed(
            f"Pudding\n\nPudding                     g\nDates, pitted             250\nButter                    100\nEggs                      150\n\n"
            f"Sauce                       g\nDouble cream              400\nTreacle                    30{METHOD}"
        )
        self.assertEqual((told["pudding/medjool_date"], told["sauce/molasses"]), (250.0, 30.0))

    def test_what_is_kept_back_is_of_it(self) -> None:
        told = read(f"Clafoutis\n8 plums (abt 500g), halved\n1/2 cup (100 g) sugar, 2 Tbsp reserved\n3 eggs{METHOD}")
        self.assertEqual([line.status for line in told.lines if line.grams], ["ok"] * 3)

    def test_zest_alone_among_other_foods(self) -> None:
        told = weighed(
            "Mousse\n200 g dark choc (60%), 2 oranges – zest only, 300 ml whipping cream, 2 egg whites, 30 g sugar\n\nWhip, fold, chill."
        )
        self.assertEqual(set(told), {"dark_chocolate_60", "orange_zest", "double_cream", "egg_white", "white_sugar"})

    def test_a_slip_for_chocolate_is_no_surer_than_chocolate(self) -> None:
        told = read(f"Cakes\n4 oz choclate\n4 cups puffed rice{METHOD}")
        self.assertEqual(told.lines[0].status, "ask")

    def test_no_food_behind_a_zest_is_lost(self) -> None:
        told = weighed(f"Loaf\nCake: 125 g butter, 2 eggs, zest of 2 lemons, 150 g s-r flour, 4 tbsp milk{METHOD}")
        self.assertEqual(told["cake/self_raising_flour"], 150.0)

    def test_for_so_many_you_will_need(self) -> None:
        told = read(f"Traybake\n\nFor 15 squares you'll need:\n\n175g butter\n175g sugar\n3 eggs{METHOD}")
        self.assertEqual(told.portions and told.portions.count, 15)

    def test_a_flan_case_is_no_slice_of_cake(self) -> None:
        self.assertEqual(listed("1 bought sponge flan case (25 cm)", "200 g strawberries")["sponge_flan_case"], 200.0)
        self.assertEqual(listed("20cm sponge base (about 200g)", "4 egg whites")["sponge_cake"], 200.0)

    def test_each_part_by_a_word_of_its_own(self) -> None:
        told = weighed(
            f"Buns\n\nFor the buns: 300ml milk; 50g butter; 500g flour\nFor the cross: 75g plain flour, plus extra for dusting\nFor the glaze: 3 tbsp apricot jam{METHOD}"
        )
        self.assertEqual(told["cross/plain_flour"], 75.0)
        pie = weighed(
            f"Banoffee pie\n\nFor 8-10:\n\nbase 250g digestives / 120g butter\ntoffee 100g butter / 100g dark brown sugar / 397g can condensed milk{METHOD}"
        )
        self.assertEqual((pie["toffee/butter"], pie["toffee/condensed_milk"]), (100.0, 397.0))

    def test_what_it_all_comes_to(self) -> None:
        told = read(
            "From the back of an envelope:\n\nflour 6oz (SR)\nsugar 4 oz\nmarg 4 oz\neggs 2\n180 / 20 mins\n= Choc sponge for 8"
        )
        self.assertEqual((told.title, told.portions and told.portions.count), ("Choc sponge for 8", 8))
        self.assertNotIn("sponge_cake", {line.ingredient for line in told.lines})

    def test_jars_are_no_portions(self) -> None:
        told = read(
            "Lemon curd\n\n4 lemons, zest and juice\n200 g sugar\n100 g butter\n3 eggs\n\nStir till thick. Fills 2 x 250ml jars."
        )
        self.assertIsNone(told.portions and told.portions.count)

    def test_egg_and_yolk_in_other_tongues(self) -> None:
        for line in ("1 uovo e 1 tuorlo", "1 Ei und 1 Eigelb", "1 œuf et 1 jaune", "1 huevo y 1 yema"):
            with self.subTest(line):
                told = listed("300 g flour", line)
                self.assertEqual((told["egg"], told["egg_yolk"]), (50.0, 17.0))

    def test_meringues_dry_in_a_cool_oven(self) -> None:
        oven = read_oven("110°C 1 hr 30. Leave in oven overnight.")
        self.assertEqual(oven and oven.temperature_c, 110.0)


if __name__ == "__main__":
    unittest.main()
