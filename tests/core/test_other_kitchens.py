"""What other kitchens and other hands write, said again in plain words. Common practice, no published source; recipes are made up."""

from __future__ import annotations

import doctest
import unittest

from sun_crumb.core.reading import citrus_abroad
from tests.core.weighing import METHOD, listed, read, weighed


def load_tests(_loader: unittest.TestLoader, tests: unittest.TestSuite, _pattern: str | None) -> unittest.TestSuite:
    tests.addTests(doctest.DocTestSuite(citrus_abroad))
    return tests


class Words(unittest.TestCase):
    """Foods, spoons and fruit by their names elsewhere."""

    def test_a_list_in_seven_tongues(self) -> None:
        for lines in (
            ("250 g Mehl", "100 g weiche Butter", "3 große Eier", "80 g Zucker", "1 Päckchen Backpulver (16 g)"),
            ("250 g de farine", "100 g de beurre mou", "3 œufs", "80 g de sucre", "1 sachet de levure chimique (16 g)"),
            ("250 g di farina", "100 g di burro fuso", "3 uova grandi", "80 g di zucchero", "1 bustina di lievito per dolci (16 g)"),
            ("250 g de harina", "100 g de mantequilla", "3 huevos", "80 g de azúcar", "1 sobre (16 g) de levadura química"),
            ("250 g vetemjöl", "100 g smör", "3 ägg", "80 g socker", "16 g bakpulver"),
            ("250 g hvedemel", "100 g smør", "3 æg", "80 g sukker", "16 g bagepulver"),
            ("250 g bloem", "100 g roomboter", "3 eieren", "80 g suiker", "16 g bakpoeder"),
        ):  # fmt: skip
            with self.subTest(lines[0]):
                found = listed(*lines)
                wanted = {"plain_flour": 250.0, "butter": 100.0, "white_sugar": 80.0, "egg": 150.0}
                self.assertEqual({key: found.get(key) for key in wanted}, wanted)

    def test_zest_and_juice_in_four_tongues(self) -> None:
        for said in (
            "Saft und Abrieb einer Zitrone",
            "le zeste et le jus d'un citron",
            "scorza e succo di 1 limone",
            "ralladura y zumo de 1 limón",
        ):
            with self.subTest(said):
                self.assertEqual(set(listed("200 g flour", said)) - {"plain_flour"}, {"lemon_zest", "lemon_juice"})

    def test_a_candied_citron_is_no_lemon(self) -> None:
        self.assertNotIn("lemon_zest", listed("200 g flour", "50 g candied citron peel"))

    def test_spoons_leaves_and_pinches(self) -> None:
        found = listed(
            "200 g flour", "2 c. à s. de miel", "1 càc de sel", "gélatine : 3 feuilles", "un pizzico di sale"
        )
        self.assertAlmostEqual(found["honey"], 43.0, delta=1.0)
        self.assertAlmostEqual(found["gelatine"], 6.0)
        self.assertAlmostEqual(found["salt"], 6.4, delta=0.3)

    def test_portions_and_heat_elsewhere(self) -> None:
        for said, count in (
            ("Une quinzaine de tranches.", 15), ("Pour 6 à 8 personnes", 6), ("Dose: 10 fette", 10),
            ("Genug für 1 Haus oder ca. 45 Kekse.", 45), ("Para 30 unidades", 30),
        ):  # fmt: skip
            with self.subTest(said):
                told = read(f"Kage\n\n200 g flour\n3 eggs\n\nBages ved 175 grader i 40 min.\n{said}")
                self.assertEqual((told.portions and told.portions.count), count)
                self.assertEqual(told.oven and told.oven.temperature_c, 175.0)


class Hands(unittest.TestCase):
    """Layouts of lists."""

    def test_a_name_that_a_line_end_tears(self) -> None:
        found = listed("180 g (1½ cups) self-raising", "flour", "zest of 2", "lemons", "80 ml (⅓ cup) sunflower", "oil")
        self.assertEqual(set(found), {"self_raising_flour", "lemon_zest", "neutral_oil"})

    def test_a_juice_and_the_fruit_below_it_are_two_lines(self) -> None:
        found = listed("100 ml orange juice", "2 lemons, zest and juice", "80 g caster sugar")
        self.assertEqual(set(found), {"orange_juice", "lemon_zest", "lemon_juice", "caster_sugar"})

    def test_parts_that_a_sign_or_words_lead_in(self) -> None:
        for form in ("{} >> {}", "{} :: {}", "For the {} you will need {}", "Part 1 ({})\n{}"):
            with self.subTest(form):
                rows = [
                    form.format(part, foods)
                    for part, foods in (("base", "200 g oats, 90 g butter"), ("top", "3 eggs, 80 g sugar"))
                ]
                self.assertEqual(
                    set(weighed("Slab\n\n" + "\n".join(rows) + METHOD)),
                    {"base/rolled_oats", "base/butter", "top/egg", "top/white_sugar"},
                )

    def test_letters_and_numbers_that_mark_a_bowl(self) -> None:
        wanted = {"butter": 100.0, "egg": 100.0, "caster_sugar": 80.0, "plain_flour": 120.0}
        self.assertEqual(listed("A: 100 g butter", "B: 2 eggs; 80 g caster sugar", "C: 120 g plain flour"), wanted)
        self.assertEqual(
            listed("[1] 100 g butter", "[1] 2 eggs", "[2] 80 g caster sugar", "[2] 120 g plain flour"), wanted
        )
        self.assertEqual(listed("a. 100 g butter", "b. 2 eggs", "c. 80 g caster sugar", "d. 120 g plain flour"), wanted)

    def test_a_unit_over_bare_numbers(self) -> None:
        found = listed(
            "                      g", "plain flour         225", "butter              130", "cocoa                15"
        )
        self.assertEqual(found, {"plain_flour": 225.0, "butter": 130.0, "cocoa": 15.0})

    def test_fields_that_commas_divide(self) -> None:
        told = read(
            "Recipe,Double ginger biscuits,,\nYield,24 biscuits,,\nOven,170 C,,\nIngredient,Quantity,Unit,Comment\nPlain flour,300,g,\nButter,125,g,cold\nEgg,1,,beaten\n"
        )
        self.assertEqual((told.title, told.portions and told.portions.count), ("Double ginger biscuits", 24))
        self.assertEqual(told.oven and told.oven.temperature_c, 170.0)

    def test_a_part_beside_its_foods_in_bare_grams(self) -> None:
        found = weighed(
            "Coffee cake\nMakes 12\n\nSponge   225 butter, 225 caster, 4 eggs, 75 walnuts\nFilling  125 butter, 200 icing sugar\n\nAll weights in grams. Beat, bake 25 minutes at 180 °C."
        )
        self.assertEqual(found["sponge/walnuts"], 75.0)
        self.assertEqual(found["filling/icing_sugar"], 200.0)

    def test_a_name_over_several_lines(self) -> None:
        told = read("Low-sugar plum\ncrumble cake with a\ncrunchy top\n\n200 g flour\n100 g butter\n3 eggs" + METHOD)
        self.assertEqual(told.title, "Low-sugar plum crumble cake with a crunchy top")

    def test_sorts_under_their_kind(self) -> None:
        self.assertEqual(
            listed("Dry: 400 g flour; 1 tsp soda", "Sugar: 200 g white; 100 g brown", "Wet: 3 eggs; 240 ml oil")[
                "light_brown_sugar"
            ],
            100.0,
        )

    def test_what_bears_an_amount_among_foods_is_never_dropped(self) -> None:
        lines = read("Slab\n\n200 g flour\nzorbles in brine 1 tin (567 g, drained 230 g)\n100 g butter" + METHOD).lines
        self.assertTrue(any("zorbles" in x.text and x.status in ("ask", "unreadable") for x in lines))
        self.assertEqual(listed("bread flour 500", "sugar 60", "salt 10", "butter 250")["white_sugar"], 60.0)

    def test_amounts_with_words_behind_them_are_no_prose(self) -> None:
        found = weighed(
            "Cakes\nMakes 12\n\n200 g flour\n3 eggs\n\nFor the icing:\ncream cheese - 200 g full fat\nicing sugar - 60 g sifted\nvanilla - 1/2 tsp"
            + METHOD
        )
        self.assertEqual((found["icing/cream_cheese"], found["icing/icing_sugar"]), (200.0, 60.0))


class SaidInPassing(unittest.TestCase):
    """Amounts that lean on the food before, and lists that talk leads in."""

    def test_as_much_as_the_food_before(self) -> None:
        for said in ("the same of caster sugar", "same weight of caster sugar", "ditto caster sugar"):
            with self.subTest(said):
                self.assertEqual(listed("200 g plain flour", said, "2 eggs").get("caster_sugar"), 200)
        told = weighed(
            "Seed cake\n\nBeat half a pound of butter with the same of caster sugar, then stir in ten ounces of flour and five eggs."
            " Bake at 180 °C for an hour."
        )
        self.assertAlmostEqual(told["caster_sugar"], told["butter"])
        listed_so = weighed(
            "Seed cake. Half a pound of butter, the same of caster sugar, ten ounces of flour, five eggs."
        )
        self.assertAlmostEqual(listed_so["caster_sugar"], listed_so["butter"])

    def test_a_list_behind_talk(self) -> None:
        asked = weighed(
            "Oat bars\n\nSure! rolled oats 200 g, butter 80 g, honey 60 g. Melt, press, chill 2 hours, cut 12."
        )
        self.assertEqual(asked, {"rolled_oats": 200.0, "butter": 80.0, "honey": 60.0})
        measured = weighed(
            "I never measure but here is roughly what's in my bread pudding: about ten slices of white bread, torn;"
            " 500 ml milk; two eggs; 90 g brown sugar. Soak, bake at 180 for an hour. Does eight squares."
        )
        self.assertLessEqual({"white_bread", "milk", "egg", "light_brown_sugar"}, measured.keys())

    def test_what_a_fruit_is_mashed_or_cooked_with_goes_in(self) -> None:
        for said in (
            "mashed with 2 tbsp icing sugar",
            "mushed up w/ 2 tbs icing sug.",
            "cooked with 2 tbsp icing sugar and mashed",
        ):
            with self.subTest(said):
                told = listed(f"450 g strawberries, {said}", "300 ml double cream")
                self.assertAlmostEqual(told.get("icing_sugar", 0.0), 15.0, delta=1.5)
        behind = listed("strawbs abt 1 lb, mushed up w/ 2 tbs icing sug.", "300 ml double cream")
        self.assertEqual(set(behind), {"strawberry", "icing_sugar", "double_cream"})
        self.assertNotIn("water", listed("2 pears, drained with 2 tbsp of their juice kept", "300 ml double cream"))

    def test_one_weight_in_two_systems_behind_each_food(self) -> None:
        told = weighed(
            "Scones (makes 8)\nself raising flour 8oz/225g, butter 2oz/55g, milk 5 fl oz/150ml\n220 C for 12 minutes"
        )
        self.assertAlmostEqual(told["butter"], 56.7, 1)
        self.assertEqual(told.keys(), {"self_raising_flour", "butter", "milk"})


class Places(unittest.TestCase):
    """Where foods go, and how wide a column is."""

    def test_words_for_a_place_stand_over_their_foods(self) -> None:
        told = weighed("Cups\n\nfor the cream\n200 g cream cheese\non top\n120 g blueberries" + METHOD)
        self.assertEqual(told, {"cream/cream_cheese": 200.0, "on top/blueberry": 120.0})
        told = weighed("Eve's pudding\n\nBottom\n500 g apples\n80 g demerara sugar\nTop\n80 g butter\n1 egg" + METHOD)
        self.assertEqual((told["bottom/apple"], told["top/butter"]), (500.0, 80.0))

    def test_portions_that_are_shouted(self) -> None:
        told = read("Cheesecake jars\nMAKES: FOUR\n\nfor the crumb\n80 g oat biscuits\n20 g butter" + METHOD)
        assert told.portions is not None
        self.assertEqual(told.portions.count, 4)

    def test_a_long_cell_leaves_one_blank_before_its_neighbour(self) -> None:
        told = weighed(
            "Pudding\n\nPudding           Sauce\n500 g dates       400 g muscovado sugar\n170 g butter      300 g butter\n"
            "340 g brown sugar 1 tsp salt\n4 eggs            600 ml double cream" + METHOD
        )
        self.assertEqual((told["pudding/light_brown_sugar"], told["pudding/butter"]), (340.0, 170.0))
        self.assertIn("sauce/salt", told)

    def test_pastry_in_a_form_is_a_food_of_it(self) -> None:
        told = weighed(
            "Apple tart\n\nPastry: 250 g puff pastry\nApples: 7, Braeburn\nSugar: 120 g\nButter: 60 g" + METHOD
        )
        self.assertEqual(told, {"puff_pastry": 250.0, "apple": 980.0, "white_sugar": 120.0, "butter": 60.0})

    def test_nothing_but_the_next_amount_divides_foods(self) -> None:
        told = weighed(
            "Lemon tart\n\npastry 250g flour 125g butter 1 egg\nfilling 5 eggs 175g sugar 150ml double cream" + METHOD
        )
        self.assertEqual(
            (told["pastry/butter"], told["filling/egg"], told["filling/white_sugar"]), (125.0, 250.0, 175.0)
        )

    def test_a_british_pint_by_british_words(self) -> None:
        """A pint is 568 ml there (Weights and Measures Act 1985, from memory)."""
        told = listed("½ pint cold tea", "10 oz SR flour", "6 oz sugar", "1 egg")
        self.assertAlmostEqual(told["tea"] / 284.1, 1.0, 1)


if __name__ == "__main__":
    unittest.main()
