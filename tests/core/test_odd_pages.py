"""Pages, sheets, chats and hands that set a recipe down in their own way. Common practice, no published source; recipes are made up."""

from __future__ import annotations

import unittest

from sun_crumb.core.reading import Oven
from sun_crumb.core.reading.oven_heat import read_oven
from tests.core.weighing import METHOD, listed, read, weighed


class OddPages(unittest.TestCase):
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
