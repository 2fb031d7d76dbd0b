"""What other kitchens and other hands write, said again in plain words. Common practice, no published source; recipes are made up."""

from __future__ import annotations

import doctest
import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import Oven, Reading, citrus_abroad, read_recipe
from sun_crumb.core.reading.oven_heat import read_oven

METHOD = "\n\nWhisk all together and bake at 180 °C for 30 minutes.\n"


def load_tests(_loader: unittest.TestLoader, tests: unittest.TestSuite, _pattern: str | None) -> unittest.TestSuite:
    tests.addTests(doctest.DocTestSuite(citrus_abroad))
    return tests


def read(text: str) -> Reading:
    return read_recipe(text, shipped_pantry())


def weighed(text: str) -> dict[str, float]:
    """Return what is weighed of a text, by component and food [g]."""
    found: dict[str, float] = {}
    for line in read(text).lines:
        if line.status == "ok" and line.grams:
            key = f"{line.component}/{line.ingredient}" if line.component else str(line.ingredient)
            found[key] = found.get(key, 0.0) + line.grams
    return found


def listed(*lines: str) -> dict[str, float]:
    """Return what is weighed of a list without parts."""
    return weighed("Slab\n\n" + "\n".join(lines) + METHOD)


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


class AtTheEdges(unittest.TestCase):
    """What stands around a list: facts in a row below it, parts in the list's own heading, a pot that measures all."""

    def test_a_row_of_facts_tells_portions_and_name(self) -> None:
        foods = "150 g plain flour\n100 g sugar\n2 eggs\n100 g butter\n\n"
        told = read(f"Carrot cupcakes\n\n{foods}[12 cases · 170 °C fan · 20–22 min]")
        self.assertEqual((told.portions and told.portions.count, told.oven and told.oven.is_fan), (12, True))
        named = read(f"{foods}Eierlikörkuchen, Gugelhupfform, 16 Stücke, 175 °C Ober-/Unterhitze 55 min")
        self.assertEqual((named.title, named.portions and named.portions.count), ("Eierlikörkuchen", 16))

    def test_a_pot_measures_also_in_other_tongues(self) -> None:
        for first, more in (
            ("1 pot de yaourt nature (125 g)", "2 pots de sucre"),
            ("1 vasetto di yogurt bianco (125 g)", "2 vasetti di zucchero"),
            ("1 yogur natural (125 g)", "2 medidas de azúcar"),
            ("1 Becher Joghurt (125 g)", "2 Becher Zucker"),
        ):
            with self.subTest(more):
                told = weighed(f"Cake\n\n{first}\n{more}\n3 eggs\n200 g flour{METHOD}")
                self.assertAlmostEqual(told["white_sugar"], 211.3, delta=2)

    def test_a_list_headed_with_its_part(self) -> None:
        told = weighed(
            "Pudding\n\nIngredients (pudding):\n200 g dates\n2 eggs\n\nIngredients (sauce):\n100 g brown sugar\n200 ml double cream"
            + METHOD
        )
        self.assertEqual((told["pudding/medjool_date"], told["sauce/light_brown_sugar"]), (200.0, 100.0))

    def test_a_list_in_sentences_with_its_parts(self) -> None:
        told = weighed(
            "Apple pie\nIngredients: For the pastry, 350g plain flour, 175g cold butter, 1 egg. For the filling, 900g apples, 120g caster sugar. "
            "To glaze, 1 egg beaten and 1 tbsp granulated sugar.\nBake at 200°C for 40 minutes."
        )
        self.assertEqual((told["pastry/egg"], told["to glaze/egg"], told["filling/apple"]), (50.0, 50.0, 900.0))

    def test_a_list_per_person_is_for_one(self) -> None:
        told = read("Muesli\n\nPer person:\n40 g oats\n100 ml milk\n1 tsp honey\n\nI make 4 at a time")
        self.assertEqual(told.portions and told.portions.count, 1)

    def test_parts_with_how_many_they_make(self) -> None:
        told = read(
            "Possets & shortbread\n\nPOSSETS (6)\n600 ml double cream\n150 g caster sugar\n\nSHORTBREAD (makes 18)\n150 g flour\n100 g butter"
            "\n\nBoil cream and sugar. Bake the shortbread."
        )
        self.assertEqual({line.component for line in told.lines if line.grams}, {"possets", "shortbread"})
        self.assertEqual(told.portions and told.portions.count, 6)

    def test_what_is_not_drained_is_told_beside_it(self) -> None:
        told = listed("15 oz can black beans, drained and rinsed (240 g)", "2 eggs", "30 g cocoa")
        self.assertEqual(told["black_beans"], 240.0)

    def test_a_heat_that_falls_and_a_fan_with_hours(self) -> None:
        foods = "\n\n6 egg whites\n350 g caster sugar\n\n"
        self.assertEqual(read_oven("150 then down to 120 straight away, 1 1/4 hrs."), Oven(150.0, False))
        self.assertEqual(read_oven("2lb loaf tin, 160 fan 1½ hours"), Oven(160.0, True))
        self.assertIsNone(read(f"Pavlova{foods}Whisk.").oven)

    def test_a_bought_case_behind_its_part(self) -> None:
        told = weighed(
            "Pumpkin pie\n\nFor crust: one 9-inch pie shell, unbaked (store-bought)\nFor filling:\n400 g pumpkin puree\n3 eggs"
            + METHOD
        )
        self.assertGreater(told["crust/shortcrust_pastry"], 150)

    def test_a_letter_named_by_its_subject(self) -> None:
        told = read(
            "Subject: RE: the birthday cake\n\nHiya! It's dead easy:\n\n200 g butter\n200 g caster sugar\n4 eggs"
        )
        self.assertEqual(told.title, "the birthday cake")

    def test_a_row_of_short_words_counts_too(self) -> None:
        foods = "300 g silken tofu\n150 g dark chocolate\n3 tbsp maple syrup\n\n"
        pots = read(f"Choc pots\n\n{foods}Melt choc, blend all. Into 4 pots. Chill.")
        self.assertEqual(pots.portions and pots.portions.count, 4)
        dozens = read(f"Snickerdoodles\n\n(from an old magazine; 3 dozen)\n\n{foods}Bake at 180 °C.")
        self.assertEqual(dozens.portions and dozens.portions.count, 36)

    def test_a_fan_in_other_tongues(self) -> None:
        self.assertEqual(read_oven("180°C Umluft, 40 Min."), Oven(180.0, True))
        self.assertEqual(read_oven("E-Herd 180 °C, Umluft 160 °C"), Oven(180.0, False))

    def test_the_syrup_of_what_stands_before_it(self) -> None:
        told = listed(
            "4 balls stem ginger, chopped, and 2 tbsp of the syrup", "2 teas. baking powder", "egg wash - 1 egg"
        )
        self.assertAlmostEqual(told["stem_ginger_syrup"], 40.6, delta=1)
        self.assertAlmostEqual(told["baking_powder"], 9.3, delta=0.3)
        self.assertEqual((told["egg"], told.get("tea")), (50.0, None))

    def test_prose_in_small_letters_loses_no_food(self) -> None:
        told = weighed(
            "bread bake\n\ntake 6 stale croissants and tear into a dish. mix 300ml milk, 200ml double cream, 3 eggs and 60g sugar. "
            "beat 75g butter with 75g sugar. dollop over, 170 fan for 35 mins. enough for 6"
        )
        self.assertEqual((told["croissant"], told["white_sugar"], told["butter"]), (342.0, 135.0, 75.0))

    def test_dots_lead_to_an_amount_of_its_own(self) -> None:
        told = weighed(
            "Cookies\n\nflour.....................1 3/4 cup\nbaking soda...............1/2 tsp\nsalt......................1/4 tsp\n"
            "oil.......................1/2 cup\nbrown sugar...............1/2 cup\nwater or plant milk.......1/4 cup\nvanilla...................2 tsp"
            + METHOD
        )
        self.assertLessEqual({"salt", "neutral_oil", "vanilla"}, set(told))

    def test_what_is_fried_in_some_of_the_butter_is_no_more_of_it(self) -> None:
        told = listed("250 g filo", "100 g butter, melted", "50 g breadcrumbs, fried in 25 g of the butter")
        self.assertEqual(told["butter"], 100.0)

    def test_all_in_grams_holds_for_what_is_else_counted(self) -> None:
        told = weighed(
            "Granola\nOats 500 | seeds 100 | maple syrup 150 | olive oil 80 | cinnamon 5\n(all in grams)\nBake at 160 °C."
        )
        self.assertEqual(told["cinnamon"], 5.0)

    def test_a_food_by_its_name_among_others_is_asked_and_not_dropped(self) -> None:
        told = read(
            "Flan\n\nSugar - 150g\nEggs - 4\nCondensed milk - 1 tin\nMilk - same tin, 1.5 times\nVanilla - 1 tsp"
            + METHOD
        )
        self.assertIn(("milk", "ask"), {(line.ingredient, line.status) for line in told.lines})

    def test_steps_tell_more_than_the_list_of_one_part(self) -> None:
        told = weighed(
            "Cinnamon rolls\n\nEvening before:\nmix 500 g bread flour, 60 g sugar, 7 g instant yeast\nadd 280 ml warm milk, 1 egg, 75 g melted butter\nknead 10 min, fridge\n\n"
            "Morning:\nroll out, spread 100 g soft butter, sprinkle 150 g brown sugar\nroll up, cut in 12, bake 190C 25 min\n\nIcing: 100 g cream cheese, 50 g butter, 100 g icing sugar"
        )
        self.assertEqual((told["bread_flour"], told["butter"], told["icing/butter"]), (500.0, 175.0, 50.0))

    def test_no_shape_of_a_tin_and_no_letter_is_a_food(self) -> None:
        tin = read("Brownies\n\n200 g chocolate\n200 g butter\n4 eggs\n\nOven: 170°C (fan) | 28–30 mins | 23 cm square")
        self.assertFalse([line.text for line in tin.lines if line.status == "ask" and "cm" in line.text])
        told = weighed(
            "Bundt\n\nA  250 g butter, 250 g sugar, 5 eggs, 300 g flour\nB  30 g cocoa, 4 tbsp milk" + METHOD
        )
        self.assertEqual((told["butter"], told["cocoa"]), (250.0, 30.0))

    def test_talk_around_a_name(self) -> None:
        told = read(
            "Here you go - lemon bars as requested!!\n\ncrust\n200 g butter\n250 g flour\n\nlemon part\n4 eggs\n400 g sugar"
            + METHOD
        )
        self.assertEqual(
            (told.title, {line.component for line in told.lines if line.grams}), ("Lemon bars", {"crust", "lemon part"})
        )

    def test_two_lists_that_dots_lead_between(self) -> None:
        told = weighed(
            "Rice pudding with compote\n\nRICE PUDDING ............. PLUM COMPOTE\n150g pudding rice ........ 500g plums\n1 litre milk ............. 75g sugar\n"
            "75g caster sugar ......... 50ml water\n150ml double cream\n\nserves 6"
        )
        self.assertEqual((told["rice pudding/caster_sugar"], told["plum compote/white_sugar"]), (75.0, 75.0))

    def test_one_batch_of_several_in_columns(self) -> None:
        told = read(
            "Flapjacks\n\n             x1 (16)      x3 (48)\noats         250 g        750 g\nbutter       125 g        375 g\nhoney        100 g        300 g"
            + METHOD
        )
        self.assertEqual([line.grams for line in told.lines if line.ingredient], [250.0, 125.0, 100.0])
        self.assertEqual(told.portions and told.portions.count, 16)

    def test_for_each_apple_is_for_one(self) -> None:
        told = read(
            "Baked apples\nfor each apple: 1 tbsp raisins, 1 tsp honey, knob of butter, pinch of cinnamon\nI do 4\n180 for 40 min"
        )
        self.assertEqual(told.portions and told.portions.count, 1)
        self.assertFalse([line.text for line in told.lines if line.status == "ask"])

    def test_letters_in_brackets_and_a_list_told_in_one(self) -> None:
        told = weighed(
            "Lemon meringue pie\n\n(A) 225 g shortcrust pastry\n(B) 3 tbsp cornflour; 300 ml water; 3 egg yolks; 100 g caster sugar\n(C) 3 egg whites; 150 g caster sugar"
            + METHOD
        )
        self.assertEqual((told["shortcrust_pastry"], told["egg_white"], told["caster_sugar"]), (225.0, 99.0, 250.0))
        mug = read(
            "Key ingredients for Mug Brownie: 2T flour, 2T brown sugar, 1T cocoa, 1T oil, pinch salt. 60 sec in microwave. One."
        )
        self.assertEqual((mug.title, {line.status for line in mug.lines if line.ingredient}), ("Mug Brownie", {"ok"}))

    def test_a_part_of_one_food_and_flour_by_its_number(self) -> None:
        told = weighed(
            "Buns\n\nFor the dough: 450g 00 flour, 50g caster sugar, 150ml milk\nFor the glaze: 3 tbsp caster sugar dissolved in 2 tbsp boiling water\n\nMakes 12."
            + METHOD
        )
        self.assertAlmostEqual(told["glaze/caster_sugar"], 39.9, delta=0.5)
        self.assertEqual(told["dough/plain_flour"], 450.0)

    def test_also_and_what_is_soaked_lose_nothing(self) -> None:
        told = weighed(
            "1-2-3-4 CAKE\n1 cup butter; 2 cups sugar; 3 cups flour; 4 eggs; also 1 cup milk, 3 t. baking powder, 1 t. vanilla, 1/2 t. salt"
            + METHOD
        )
        self.assertLessEqual({"milk", "baking_powder", "vanilla", "salt"}, set(told))
        soaked = listed("200 g prunes (stoned) in 150 ml hot tea", "2 eggs", "200 g oats")
        self.assertEqual((soaked["prune"], round(soaked["tea"])), (200.0, 150))

    def test_portions_at_the_edges(self) -> None:
        foods = "\n\n300 g flour\n150 g butter\n100 g sugar\n\n"
        for text, many in (
            (f"Cupcakes (x12){foods}Bake at 180 °C.", 12),
            (f"Biscuits{foods}375°F, 15 min, about 40", 40),
            (f"Toffee{foods}Boil to 270°F. 18 cm tin. Break up - approx 40 bits", 40),
            (f"Plätzchen{foods}Menge: ca. 50 Stück. Backen: 180 °C, 10-12 Min.", 50),
            (f"Torta\nPorções: 10{foods}Gelar 3 horas.", 10),
            (f"Cups{foods}Press in a 12-hole tin. 165 °C for 18 min.", 12),
        ):
            with self.subTest(text.split("\n")[0]):
                told = read(text)
                self.assertEqual(told.portions and told.portions.count, many)

    def test_a_name_in_capitals_under_where_it_is_from(self) -> None:
        told = read(
            "from the guild leaflet 1962\n\nSUMMER PUDDING\nStale bread, 6-8 slices.\nCastor sugar, 5 oz.\nRaspberries, 1 lb.\nStew fruit & sugar 3 mins.\nFor 6 persons."
        )
        self.assertEqual((told.title, told.portions and told.portions.count), ("SUMMER PUDDING", 6))
        self.assertIn("white_bread", {line.ingredient for line in told.lines})

    def test_a_sheet_of_bare_numbers_weighs_its_yolks_too(self) -> None:
        told = weighed(
            "Stollen bites\nyield 40\n\nFlour ............... 500\nMilk ................ 200\nSugar ............... 60\nButter .............. 200\n"
            "Salt ................ 8\nEgg yolk ............ 40\nRaisins ............. 250\n\n180 °C 14 min."
        )
        self.assertEqual((told["egg_yolk"], told["salt"], told["plain_flour"]), (40.0, 8.0, 500.0))

    def test_a_chat_with_days_and_no_year(self) -> None:
        told = read(
            "[14/02, 09:12] Bea: can u send the orange cake one\n[14/02, 09:16] Mum: 175g butter 175g caster\n[14/02, 09:16] Mum: 3 eggs\n"
            "[14/02, 09:17] Mum: 150g SR flour 25g cocoa\n[14/02, 09:18] Mum: 180 25 mins two 18cm tins\n[14/02, 09:20] Mum: does 8 xx"
        )
        grams = {line.ingredient: line.grams for line in told.lines if line.status == "ok"}
        self.assertEqual((grams["butter"], grams["caster_sugar"], grams["cocoa"]), (175.0, 175.0, 25.0))
        self.assertEqual(told.portions and told.portions.count, 8)

    def test_parts_in_the_first_column_of_a_table_with_tabs(self) -> None:
        told = weighed(
            "Cups - serves 6\n\nCrumb:\tginger biscuits\t120 g\n\tbutter, melted\t50 g\nFilling:\tcream cheese\t200 g\n\thoney\t60 g\n\nChill 4 h."
        )
        self.assertEqual((told["crumb/butter"], told["filling/cream_cheese"]), (50.0, 200.0))

    def test_a_pint_by_the_celsius(self) -> None:
        told = weighed("Egg custard\n\n4 eggs\n2 Tbsp sugar\n1 pt milk\nnutmeg\n\nSlow oven (150C) 50 mins. For 4.")
        self.assertAlmostEqual(told["milk"], 586, delta=5)

    def test_a_key_to_short_words_is_no_name(self) -> None:
        told = read(
            "Key: c = cup, T = tablespoon, t = teaspoon\n\nBlondies\n2 c flour\n1 c butter\n2 eggs\n\n350. 9x13. 25-30 min. 24 bars"
        )
        self.assertEqual((told.title, told.portions and told.portions.count), ("Blondies", 24))

    def test_a_gap_as_wide_as_a_page_says_no_more_than_a_small_one(self) -> None:
        """2,000 blanks took two seconds, in the square of their number: each form of a line is looked for from each of them."""
        wide = read("Cake\n\n200 g flour" + " " * 20_000 + "2 eggs\n100 g sugar" + METHOD)
        self.assertEqual({line.ingredient for line in wide.lines if line.grams}, {"plain_flour", "egg", "white_sugar"})

    def test_a_list_in_one_line_whose_amounts_stand_in_brackets(self) -> None:
        """ "butter" begins it, and is no verb there; eggs and marmalade were lost."""
        told = "Marmalade cake: butter (6 oz), eggs (3), SR flour (7 oz), orange marmalade (4 tablespoons), milk (a splash). Cream, beat, fold. 180 C, 50 min. Cuts into 10."
        self.assertEqual(set(weighed(told)), {"butter", "egg", "self_raising_flour", "marmalade"})
        self.assertEqual(read(told).title, "Marmalade cake")

    def test_a_list_in_one_line_between_its_name_and_its_heat(self) -> None:
        """Each amount was read with the food behind it: 275 g of almonds, surely."""
        told = "Meringue roll – egg whites 5 / caster sugar 275g / flaked almonds 50g / double cream 300ml – swiss roll tin, 200C 8 mins. Roll. 8 slices"
        found = weighed(told)
        self.assertEqual((found["caster_sugar"], found["almonds"], found["egg_white"]), (275, 50, 165))
        self.assertEqual(read(told).title, "Meringue roll")


if __name__ == "__main__":
    unittest.main()
