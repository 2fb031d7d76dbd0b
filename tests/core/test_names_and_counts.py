"""What a copied-down dessert is called and how many it makes. Common practice, no published source; recipes are made up."""

from __future__ import annotations

import unittest

from sun_crumb.core.reading.oven_heat import read_oven
from sun_crumb.core.reference import constant
from tests.core.weighing import METHOD, listed, read


class NamesAndCounts(unittest.TestCase):
    """A name below or beside the list, and a count in words of its own."""

    def test_a_title_that_only_counts(self) -> None:
        for title, name, count in (("Für 12 Muffins:", "Muffins", 12), ("For 24 cookies", "Cookies", 24)):
            with self.subTest(title):
                told = read(f"{title}\n250 g Mehl\n2 TL Backpulver\n120 g Zucker\n\nMix and bake.")
                self.assertEqual((told.title, told.portions and told.portions.count), (name, count))

    def test_a_count_names_what_has_no_name(self) -> None:
        told = read("Ingredients\n200 g flour\n100 g butter\n1 egg\n\nMix, bake at 180 C. 16 brownies.")
        self.assertEqual(told.title, "Brownies")

    def test_a_name_in_talk(self) -> None:
        foods = "\n\n500 g bread flour\n60 g sugar\n4 eggs\n\nKnead. 20 pieces at 50g. Fry."
        told = read(f"This is how we do doughnuts in our bakery, scaled for home:{foods}")
        self.assertEqual((told.title, told.portions and told.portions.count), ("Doughnuts", 20))
        self.assertEqual(read(f"hey, here's the flapjack one you asked for{foods}").title, "Flapjack")

    def test_a_name_before_its_tin(self) -> None:
        told = read(
            'Cream cheese 1 kg\nSugar 300 g\nEggs 7\n\nBasque cheesecake, 10" tin lined with paper. Beat all. 210C 45 min.'
        )
        self.assertEqual(told.title, "Basque cheesecake")

    def test_pieces_counted_in_a_bracket(self) -> None:
        for said in (
            "Score into diamonds (about 24).",
            "cut into little squares (24ish)",
            "Divide in fingers, about 24.",
        ):
            with self.subTest(said):
                told = read(f"Slab\n\n200 g flour\n100 g butter\n\nMix and bake. {said}")
                self.assertEqual(told.portions and told.portions.count, 24)

    def test_a_list_for_a_tin_with_its_slices(self) -> None:
        told = read(
            "Torta\n\nIngredienti per una tortiera da 24 cm (10 fette)\n200 g farina\n100 g zucchero\n\nInfornare a 180° per 45 minuti."
        )
        self.assertEqual(told.portions and told.portions.count, 10)

    def test_columns_of_dry_and_wet_are_no_part(self) -> None:
        told = read(
            "Cake\n\nDRY              WET\n2 c flour        1 c oil\n1 t soda         3 eggs\n2 t cinnamon     1 c honey\n\nMix, bake."
        )
        self.assertEqual({line.component for line in told.lines if line.grams}, {""})

    def test_how_many_in_other_tongues(self) -> None:
        for said in ("Antal: 12 st", "Anzahl: 12", "Aantal: 12 stuks", "Quantité : 12"):
            with self.subTest(said):
                told = read(f"Kaka\n{said}\n\n200 g flour\n100 g sugar\n\nBake at 180 C.")
                self.assertEqual(told.portions and told.portions.count, 12)
        self.assertEqual(
            read("Kaiserschmarrn für 2\n\n4 Eier, 30 g Zucker, 250 ml Milch, 120 g Mehl\n\nBacken.").portions.count, 2
        )  # type: ignore[union-attr]

    def test_all_in_a_sentence_for_what_it_is(self) -> None:
        told = read(
            "You'll need 2 ripe avocados, 60g cocoa, 120ml maple syrup and a pinch of salt for this chocolate avocado mousse. Blend. Chill an hour. Fills four little glasses."
        )
        self.assertEqual((told.title, told.portions and told.portions.count), ("Chocolate avocado mousse", 4))
        self.assertEqual(
            [line.ingredient for line in told.lines if line.grams], ["avocado", "cocoa", "maple_syrup", "salt"]
        )

    def test_a_gas_mark_beside_the_heat(self) -> None:
        for said in (
            "rest on top. 180 / 4 for 30 min.",
            "20-25 Min. bei 180 Grad.",
            "loaf tin, 180 50 mins",
            "Blend, ramekin, 180 for 20-25",
        ):
            with self.subTest(said):
                oven = read_oven(said)
                self.assertEqual(oven and oven.temperature_c, 180.0)

    def test_a_deed_before_a_measured_food_is_its_part(self) -> None:
        """ "Fill - 12 tsp jam" over the method was a step, and the jam lost."""
        told = read(
            "Jam buns\n\nFlour - 225 g\nMarg - 75 g\nSugar - 75 g\nFill - 12 tsp raspberry jam\nRub in, mix, shape 12 buns, dent, jam in. 200 C 15 min."
        )
        self.assertEqual(
            [(line.component, line.ingredient) for line in told.lines if line.grams][-1], ("filling", "jam")
        )
        self.assertEqual(told.portions and told.portions.count, 12)

    def test_a_part_tells_what_it_is_enough_for(self) -> None:
        told = read(
            f"Galette\n\nDough......for one 30 cm galette\n200 g plain flour\n120 g butter\n\nFilling\n500 g plums\n60 g sugar{METHOD}"
        )
        self.assertEqual([line.component for line in told.lines if line.grams], ["dough"] * 2 + ["filling"] * 2)
        self.assertFalse(any(line.status == "unreadable" for line in told.lines))

    def test_vinegar_is_vinegar_whatever_it_is_of(self) -> None:
        for kind in ("raspberry vinegar", "red wine vinegar", "malt vinegar"):
            with self.subTest(kind):
                self.assertEqual(listed(f"1 tsp {kind}").keys(), {"cider_vinegar"})

    def test_what_is_left_to_fry_scatter_and_drain(self) -> None:
        self.assertAlmostEqual(listed("sugar 60 g + extra 50 g to roll")["white_sugar"], 110)
        self.assertAlmostEqual(listed("8 oz can crushed pineapple, not drained")["pineapple"], 226.8, delta=1)
        self.assertEqual(listed("demerara to scatter, 2 tbsp").keys(), {"demerara_sugar"})
        fried = listed("300 g flour", "200 g milk", "sunflower oil to fry, 1 litre")
        self.assertAlmostEqual(fried["neutral_oil"], constant("taken_up_frying") * 500, delta=1)

    def test_how_the_pot_measures_is_no_part(self) -> None:
        told = read(
            f"Pot cake\n\n1 pot plain yoghurt (125 g)\nuse the pot to measure:\n2 pots caster sugar\n3 pots plain flour\n3 eggs{METHOD}"
        )
        self.assertEqual({line.component for line in told.lines}, {""})

    def test_counts_in_few_words(self) -> None:
        for last, many in (
            ("Pour in tin, break when cold. About 40 bits.", 40),
            ("Bake 1 hr. Slice thick - 10.", 10),
            ("Freeze 1 hr. 4 scoops each for 2 greedy people", 2),
            ("Boil, set in 4 moulds. Melt the rest. Serve with cream.", 4),
        ):
            with self.subTest(last):
                told = read(f"Dessert\n\n200 g flour\n100 g sugar\n100 g butter\n\n{last}").portions
                self.assertEqual(told and told.count, many)
        told = read(f"Clafoutis\nFor 6 · 15 min prep · 40 min oven\n\n500 g cherries\n100 g sugar\n4 eggs{METHOD}")
        self.assertEqual(told.portions and told.portions.count, 6)

    def test_two_of_one_unit_and_two_that_are_boiled(self) -> None:
        self.assertAlmostEqual(listed("6 tbsp golden syrup + 2 extra to serve")["golden_syrup"], 172.8, delta=1)
        self.assertEqual(listed("50g sugar boiled w/ 50ml water").keys(), {"white_sugar", "water"})
        self.assertEqual(listed("275g l.b. sugar").keys(), {"light_brown_sugar"})
        self.assertAlmostEqual(listed("1 lb sugar")["white_sugar"], 453.6, delta=0.1)
        self.assertAlmostEqual(listed("75g icing sugar, zest orange")["orange_zest"], 6)

    def test_a_heat_for_so_many_minutes_and_a_cut_in_german(self) -> None:
        told = read(
            "Slice\n\n150 g flour\n75 g sugar\n100 g butter\n\nPress into 20x30 tin, 180 for 20. Pour over, 160 for 40. Cool."
        )
        self.assertEqual(told.oven and told.oven.temperature_c, 180.0)
        cut = read("Lebkuchen\n\n500 g Honig\n750 g Mehl\n\nAuf ein Blech. 180 °C 25 Min. In 40 Stücke schneiden.")
        self.assertEqual(cut.portions and cut.portions.count, 40)


if __name__ == "__main__":
    unittest.main()
