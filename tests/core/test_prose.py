"""Recipes told in sentences: each food that has an amount is found, however it comes and whatever is done to it (common practice, no published source)."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.reading.mentions import mentions

# How a food comes, as recipes say it before its name.
_COMES = [
    "rolled",
    "chopped",
    "sliced",
    "grated",
    "melted",
    "toasted",
    "ground",
    "flaked",
    "buttered",
    "diced",
    "crushed",
    "peeled",
    "pitted",
    "softened",
    "sifted",
    "whipped",
    "dried",
    "roasted",
    "candied",
    "mashed",
    "shredded",
    "halved",
    "quartered",
    "cooked",
    "stewed",
    "cored",
    "drained",
    "soaked",
    "frozen",
    "thawed",
    "browned",
    "cooled",
    "warmed",
    "salted",
    "caramelised",
    "stoned",
    "skinned",
    "blanched",
    "poached",
    "split",
    "torn",
    "broken",
    "hulled",
    "trimmed",
]
_DONE = [
    "Mix",
    "Stir together",
    "Combine",
    "Layer",
    "Melt",
    "Beat",
    "Chop",
    "Slice",
    "Whisk",
    "Toss",
    "Boil",
    "Simmer",
    "Rub",
    "Cream",
    "Crush",
    "Blitz",
    "Dissolve",
    "Toast",
    "Put",
    "Add",
]


class Prose(unittest.TestCase):
    def test_nothing_behind_how_a_food_comes_is_lost(self) -> None:
        for comes in _COMES:
            with self.subTest(comes):
                told = list(mentions(f"Mix 200g {comes} apples with 50g honey and 30g nuts.", is_list=True))
                self.assertEqual(len(told), 3, told)

    def test_nothing_behind_what_is_done_is_lost(self) -> None:
        for done in _DONE:
            with self.subTest(done):
                told = list(mentions(f"{done} 200 g apples with 50 g honey and 30 g nuts.", is_list=True))
                self.assertEqual(len(told), 3, told)

    def test_what_is_cut_rolled_or_divided_is_no_food(self) -> None:
        for step in (
            "Cut the dough into 12 pieces of 50 g each.",
            "Roll out to 30 cm and cut 2 rounds.",
            "Slice into 12 rolls.",
            "Divide between 2 tins.",
        ):
            with self.subTest(step):
                self.assertEqual(list(mentions(step, is_list=True)), [])

    def test_whites_that_are_whipped_apart_are_counted(self) -> None:
        text = "I melt 150 g dark chocolate with 50 g butter, beat in 3 yolks, fold in 3 stiffly whipped egg whites. Serves 4."
        told = {line.ingredient: line.grams for line in read_recipe(text, shipped_pantry()).lines if line.ingredient}
        self.assertEqual(told["egg_white"], 99.0)

    def test_a_line_of_foods_and_deeds_in_turn_loses_none(self) -> None:
        text = (
            "200 g dark chocolate, 200 g butter, melted together. 4 eggs whisked with 250 g sugar. "
            "Mix, add 100 g plain flour, 40 g cocoa. 170 fan, 25 min. 16 brownies."
        )
        told = [line.ingredient for line in read_recipe(text, shipped_pantry()).lines if line.ingredient]
        self.assertEqual(told, ["dark_chocolate_70", "butter", "egg", "white_sugar", "plain_flour", "cocoa"])

    def test_the_name_beside_how_many_at_the_end_is_the_title(self) -> None:
        text = "Boil 300 g rice in 1.2 litres of milk with 100 g sugar and 1 cinnamon stick. Stir often. Rice with milk, 8 people."
        told = read_recipe(text, shipped_pantry())
        self.assertEqual((told.title, told.portions and told.portions.count), ("Rice with milk", 8))


if __name__ == "__main__":
    unittest.main()
