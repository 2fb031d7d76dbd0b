"""Portions that no word introduces, recipes whose steps alone tell their foods, and lines that a strange hand breaks (common practice, no published source)."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.reading.steps import read_times
from tests.core.weighing import weighed

_FOODS = "200 g flour\n100 g butter\n100 g sugar\n2 eggs\n"


def _portions(text: str) -> tuple[int | None, bool] | None:
    told = read_recipe(text, shipped_pantry()).portions
    return (told.count, told.is_assumed) if told else None


class PortionNet(unittest.TestCase):
    def test_a_count_of_pieces_anywhere_is_a_guess(self) -> None:
        for method, count in (
            ("Mash, mix, scoop 12 cookies on a tray, bake.", 12),
            ("160 C, 1 hr. Cool in oven. 24cm springform, 10 slices", 10),
        ):
            with self.subTest(method):
                self.assertEqual(_portions(f"Oat cookies\n\n{_FOODS}\n{method}"), (count, True))

    def test_what_is_no_portion_is_not_caught(self) -> None:
        for method in (
            "Top with 12 cookies, crushed.",
            "Roll between 2 rounds of paper.",
            "Add another 6 slices of apple.",
            "Bake at gas 4 for 40 minutes, keeps 5 days.",
            "Half a slice, 120 kcal per 2 squares.",
        ):
            with self.subTest(method):
                self.assertIsNone(_portions(f"Apple thing\n\n{_FOODS}\n{method}"))

    def test_a_number_beside_one_that_nothing_explains_is_a_guess(self) -> None:
        for told in (
            "Makes 12 & 4 small ones",
            "Serves 6, another 2 if need be",
            "3 pies, 4 people each",
            "12 slices if you're good, 8 if you're me",
            "Makes 16, 3 layers",
            "Makes 1 loaf or 12 muffins",
            "Makes 1 large or 2 small",
            "12 large or 18 medium muffins",
            "Serves 8 (doubled at Christmas)",
        ):
            with self.subTest(told):
                self.assertTrue((_portions(f"Apple loaf\n{told}\n\n{_FOODS}\nMix, bake.") or (0, True))[1])

    def test_numbers_that_are_explained_leave_it_sure(self) -> None:
        for told, count in (
            ("Makes 12. 180 C, 25-30 min, gas 4", 12),
            ("Serves 8 | prep 15 | cook 1 h 20", 8),
            ("2 loaves, 10 slices each", 20),
            ("20 x 30 cm tin, makes 15 squares of 40 g", 15),
            ("Makes 9: 210 kcal, fat 8 g, carbs 31", 9),
            ("2½ dozen, 5 cm across", 30),
            ("Dosi per 8 persone", 8),
        ):
            with self.subTest(told):
                self.assertEqual(_portions(f"Apple loaf\n{told}\n\n{_FOODS}\nMix, bake."), (count, False))

    def test_another_number_in_the_method_makes_it_a_guess(self) -> None:
        self.assertEqual(
            _portions(f"Apple loaf\nMakes 12\n\n{_FOODS}\nMix, bake for an hour. Cut into 20 slices."), (12, True)
        )

    def test_a_number_above_the_list_is_no_food(self) -> None:
        for line in (
            "Week 12 recipe",
            "Recipe no. 27",
            "Tested 3 times",
            "5 ingredients, 10 minutes",
            "Version 3",
            "For Easter 2019",
            "Cost: about 4.50",
            "12 scones (6 cm cutter)",
            "2 loaves of 10 slices",
        ):
            with self.subTest(line):
                told = read_recipe(f"Nan's sponge\n{line}\n\n{_FOODS}\nMix and bake.", shipped_pantry())
                self.assertEqual([one.text for one in told.lines if one.status == "ok"], _FOODS.split("\n")[:-1])
                self.assertFalse([one for one in told.lines if one.status in ("ask", "conflict", "unreadable")])

    def test_an_unknown_food_that_is_weighed_is_asked_about_also_there(self) -> None:
        told = read_recipe(f"Nan's sponge\n300 g zorgleberries\n\n{_FOODS}\nMix and bake.", shipped_pantry())
        self.assertEqual([one.text for one in told.lines if one.status == "ask"], ["300 g zorgleberries"])

    def test_none_at_all_is_no_food(self) -> None:
        told = read_recipe(f"Oat squares\nHow many: 0 squares\n\n{_FOODS}\nMix, bake.", shipped_pantry())
        self.assertIsNone(told.portions)
        self.assertFalse([line.text for line in told.lines if line.status == "ask"])

    def test_words_around_a_count(self) -> None:
        for line, count in (
            ("about 24", 24),
            ("4 porcje", 4),
            ("14 slices or so", 14),
            ("How many: 15 squares", 15),
            ("Flourless. Serves 12-14", 12),
            ("[for 8]", 8),
        ):
            with self.subTest(line):
                told = _portions(f"Apple loaf\n{line}\n\n{_FOODS}\nMix and bake at 180 C.")
                self.assertEqual(told and told[0], count)
        self.assertEqual((_portions(f"Quick strudel for 6 / Apfelstrudel\n\n{_FOODS}") or (0,))[0], 6)
        self.assertEqual((_portions(f"Pie\n\n{_FOODS}\nOven 350. Bake 55 mins. Cut 8 ways.") or (0,))[0], 8)
        self.assertEqual((_portions(f"Hazelnut cookies —> 20\n\n{_FOODS}") or (0,))[0], 20)
        self.assertEqual((_portions(f"Squares\n\n{_FOODS}\nLayer. Cut in 24. 170C 40 min. Pour over.") or (0,))[0], 24)
        self.assertEqual((_portions(f"Cake\n(12 slices, make the day before)\n\n{_FOODS}") or (0,))[0], 12)
        self.assertEqual((_portions(f"Carrot cupcakes   x12\n\n{_FOODS}") or (0,))[0], 12)
        self.assertEqual((_portions(f"Blondies\n\n{_FOODS}\nTin: 20x20. 175 °C 25 min. Cut 4×4.") or (0,))[0], 16)


class OvenNet(unittest.TestCase):
    def test_a_heat_in_a_clause_of_its_own(self) -> None:
        for method, heat in (
            ("Press in the tin. 190C 20-25. Heat the topping, pour over hot.", 190),
            ("Tube pan. 350. 45-50 min.", 177),
            ("Teig gehen lassen, ausrollen. 25 Min 180°. Füllen.", 180),
            ("Balls on a tray, 170 fan 10-12", 170),
            ("Fold. 180 for 25 in a 20cm tin.", 180),
            ("Rest overnight. 220 for 4 min then 180 for 6.", 220),
        ):
            with self.subTest(method):
                oven = read_recipe(f"Oat squares\n\n{_FOODS}\n{method}", shipped_pantry()).oven
                self.assertEqual(oven and oven.temperature_c, heat)

    def test_what_is_boiled_or_fried_is_no_oven(self) -> None:
        for method in (
            "Boil the syrup. 118C. Pour on.",
            "Fry in oil, 180C, 3 min.",
            "Makes 250 in all. 300 g of it freeze well.",
        ):
            with self.subTest(method):
                self.assertIsNone(read_recipe(f"Toffee\n\n{_FOODS}\n{method}", shipped_pantry()).oven)

    def test_a_time_beside_a_heat_is_baked(self) -> None:
        for step in ("Mash, mix, scoop 12 cookies, 350F 12-15 mins", "Mix, 180C 30 min"):
            with self.subTest(step):
                self.assertEqual([time.doing for time in read_times(step)], ["bake"])
        self.assertNotEqual([time.doing for time in read_times("Whisk the cream, cook to 84C 5 min")], ["bake"])


class ToldAhead(unittest.TestCase):
    def test_a_part_that_steps_tell_above_the_others_list(self) -> None:
        found = read_recipe(
            "Rhubarb crisp\n\nMix 5 cups rhubarb, 3/4 cup sugar, 2 T flour. Put in a pan.\n"
            "Topping: 1 cup brown sugar, 1 cup oats, 1/2 cup flour, 1/2 cup butter. Crumble over.\nBake 375 35 min.",
            shipped_pantry(),
        )
        told = {(x.component, x.ingredient) for x in found.lines if x.status == "ok"}
        self.assertLessEqual({("", "rhubarb"), ("", "white_sugar"), ("topping", "light_brown_sugar")}, told)


class Titles(unittest.TestCase):
    def test_names_that_stand_elsewhere(self) -> None:
        for text, title in (
            ("Hey Lou, the apple strudel:\n250 g flour\n1 egg\n80 g sugar\nRoll, bake at 190 C.", "Apple strudel"),
            (f"re: yesterday — carrot halwa cake?\n\n{_FOODS}Bake at 175.", "Carrot halwa cake"),
            (f"⟡ Peach melba roll ⟡\n\n{_FOODS}", "Peach melba roll"),
            (
                f"What you want\n{_FOODS}What you do\nBake 350F 45 min.\nWhat you get\nEve's pudding for 4 to 6",
                "Eve's pudding",
            ),
            (f"{_FOODS}TITLE : Lemon Fridge Pie - 12 portions\nHOW : mix, chill.", "Lemon Fridge Pie"),
            (
                "Shortcrust: 8 oz plain flour, 4 oz butter, 2 tbsp cold water\nFilling: 3 tbsp jam; 4 oz butter; 1 egg\n"
                "= Cherry Bakewell tart. Blind bake 15 min 190, fill. Cuts into 8.",
                "Cherry Bakewell tart",
            ),
        ):
            with self.subTest(title):
                self.assertEqual(read_recipe(text, shipped_pantry()).title, title)


class ToldStepByStep(unittest.TestCase):
    def test_the_parts_that_steps_name(self) -> None:
        found = read_recipe(
            "Raspberry tart\n\nStep 1 – Make the dough: 300 g flour, 200 g cold butter, 1 yolk. Chill.\n"
            "Step 2 – Frangipane: beat 125 g butter with 125 g sugar, 2 eggs.\nStep 3 – Spread 150 g jam, bake.",
            shipped_pantry(),
        )
        told = {(x.component, x.ingredient): x.grams for x in found.lines if x.status == "ok" and x.ingredient}
        self.assertEqual(told[("dough", "butter")], 200)
        self.assertEqual(told[("frangipane", "butter")], 125)
        self.assertEqual(told[("", "jam")], 150)


class BrokenLines(unittest.TestCase):
    def test_egg_and_its_part(self) -> None:
        found = weighed("Macaroons\n\n3 egg\nwhites\n200g caster\nsugar\n225g desiccated\ncoconut")
        self.assertNotIn("egg", found)
        self.assertAlmostEqual(found["egg_white"], 99, delta=3)

    def test_a_name_torn_over_three_lines(self) -> None:
        found = weighed(
            "Loaf\n\n3 very ripe\nbananas (300g\npeeled)\n200g wholemeal\nself-raising\nflour\n2 eggs\n75g soft butter"
        )
        self.assertEqual((found["banana"], found["wholemeal_self_raising"]), (300, 200))
        self.assertNotIn("plain_flour", found)

    def test_no_food_is_joined_to_a_fraction_below(self) -> None:
        found = weighed("Honey cake\n\n3 cups flour\n½ cup OJ\n¼ cup whiskey\n1 cup honey\n2 eggs")
        self.assertLessEqual({"orange_juice", "rum"}, set(found))

    def test_rows_of_a_table_whose_cells_are_quoted(self) -> None:
        found = weighed(
            'product, amount, unit\n"Rye flour",150,g\n"Dark chocolate 70%",200,g\n"Eggs",4,pcs\nRye brownies. Melt, fold.'
        )
        self.assertEqual((found["dark_chocolate_70"], found["egg"]), (200, 200))

    def test_parts_behind_the_word_for_the_list(self) -> None:
        told = read_recipe(
            "Ingredients — sponge: eggs ×3, sugar 90 g, flour 90 g\nIngredients — syrup: coffee 100 ml, sugar 30 g",
            shipped_pantry(),
        )
        self.assertEqual({x.component for x in told.lines if x.status == "ok"}, {"sponge", "syrup"})

    def test_rows_of_dots_between_foods(self) -> None:
        found = weighed(
            "Pavlovas\n4 egg whites . . . . 220 g caster sugar . . . . 1 tsp cornflour\nTopping: 300 ml double cream . . . . 300 g berries . . . . 1 passion fruit"
        )
        self.assertEqual((found["caster_sugar"], found["topping/mixed_berries"]), (220, 300))

    def test_foods_in_brackets(self) -> None:
        found = weighed(
            "Lassi pops\n[2 large mangoes (500g flesh)] [1 1/2 cups Greek yogurt] [1/4 cup honey]\nblend, freeze"
        )
        self.assertEqual(found["mango"], 500)
        self.assertIn("honey", found)

    def test_a_deed_leads_in_a_food(self) -> None:
        found = weighed("Granola\n\n500g oats\n50g honey\nAfter baking add 150g raisins and 50g coconut flakes")
        self.assertEqual(found["raisin"], 150)
        self.assertNotIn("baking_powder", found)

    def test_pints_of_a_kitchen_with_celsius(self) -> None:
        found = weighed("Rice pudding\n\nrice 4 oz\nmilk 2 pints\nsugar 2 oz\n\nSlow oven (150 C) for 2 hrs.")
        # Weights and Measures Act 1985: the pint is 568 ml (from memory).
        self.assertAlmostEqual(found["milk"], 2 * 568.26 * 1.031, delta=12)

    def test_a_letters_head_names_nothing(self) -> None:
        found = read_recipe(
            "From: gran\nTo: me\nSo you want the flapjacks. Melt 6oz butter with 6oz sugar and 2 tbsp golden syrup, "
            "then stir in 8oz oats. Mark into 12.",
            shipped_pantry(),
        )
        self.assertEqual(found.title, "Flapjacks")


if __name__ == "__main__":
    unittest.main()
