"""The grammar of lines and documents: amounts, names, preparations, headings, steps."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import Reading, read_recipe
from sun_crumb.core.reading.line import clean, parse_line
from sun_crumb.core.reading.several import split_line

# line: (amounts added up, amounts restated, name, preparation)
PARSED = {
    "2 cups flour": (["2 cups"], [], "flour", ""),
    "1 cup plus 2 tbsp (140 g) flour, sifted": (["1 cup", "2 tbsp"], ["140 g"], "flour", "sifted"),
    "250 g / 2 cups flour": (["250 g"], ["2 cups"], "flour", ""),
    "200g or 1 cup sugar": (["200g"], ["1 cup"], "sugar", ""),
    "1 stick (113g) butter": (["1 stick"], ["113g"], "butter", ""),
    "2 x 400 g tins coconut milk": (["2 x 400 g tins"], [], "coconut milk", ""),
    "1 (14 oz) can pumpkin": (["1 (14 oz) can"], [], "pumpkin", ""),
    "3 large eggs, beaten": (["3 large"], [], "eggs", "beaten"),
    "flour 200 g": (["200 g"], [], "flour", ""),
    "sugar - 1/2 cup": (["1/2 cup"], [], "sugar", ""),
    "sugar (200g)": (["200g"], [], "sugar", ""),
    "butter for greasing": ([], [], "butter", "greasing"),
    "1 heaped tbsp cocoa": (["1 heaped tbsp"], [], "cocoa", ""),
    "a pinch of salt": (["a pinch"], [], "salt", ""),
    "handful of walnuts": (["handful"], [], "walnuts", ""),
    "10-12 dates": (["10-12"], [], "dates", ""),
    "about 200 g honey": (["about 200 g"], [], "honey", ""),
    "2 tablespoons of milk (or more)": (["2 tablespoons"], [], "milk", "or more"),
    "one and a half cups sugar": (["one and a half cups"], [], "sugar", ""),
    "750 ml milk + 2 tbsp": (["750 ml", "2 tbsp"], [], "milk", ""),
}
SPLIT = {
    "2 eggs plus 1 egg yolk": 2,
    "zest and juice of 1 lemon": 2,
    "1 lemon, zested and juiced": 2,
    "1 cup plus 2 tbsp flour": 1,
    "½ tsp each cinnamon and nutmeg": 2,
    "3 tbsp cornflour mixed with 2 tbsp water": 2,
    "salt and pepper": 1,
    "200 g sugar plus 2 tbsp for dusting": 2,
}
CLEANED = {
    "• 2 eggs": "2 eggs", "- 2 eggs.": "2 eggs", "[ ] 2 eggs": "2 eggs", "☐ 2 eggs,": "2 eggs", "1) 2 eggs": "2 eggs",
    "2\u00a0eggs": "2 eggs", "  2   eggs ": "2 eggs", "2 eggs\u200b": "2 eggs", "1. 2 eggs": "2 eggs",
}  # fmt: skip
DOCUMENTS = (
    ("Cake\n200 g flour\n2 eggs", ["title", "food", "food"]),
    (
        "Cake\nServes 8\nIngredients:\n200 g flour\nMethod\nMix it all.",
        ["title", "portions", "heading", "food", "heading", "step"],
    ),
    (
        "Cake\nPrep time: 10 min\n200 g flour\nPreheat the oven to 180 C and grease a tin.",
        ["title", "time", "food", "step"],
    ),
    (
        "Cake\nFor the base:\n200 g flour\nFor the topping\n50 g sugar",
        ["title", "heading", "food", "heading", "food"],
    ),
    ("Cake\nDRY\n200 g flour\nWET INGREDIENTS\n2 eggs", ["title", "heading", "food", "heading", "food"]),
    ("Cake\nNote: use ripe fruit\n2 bananas", ["title", "note", "food"]),
    (
        "Cake\n2 eggs\nDirections:\n1. Beat 2 eggs.\n2. Bake 20 minutes.",
        ["title", "food", "heading", "step", "step"],
    ),
    ("200 g flour\n2 eggs", ["food", "food"]),
    ("Cake\r\n200 g flour\r\n\r\n2 eggs", ["title", "food", "food"]),
    ("# Cake\n## Ingredients\n* 200 g flour\n* 2 eggs", ["title", "heading", "food", "food"]),
)


class Grammar(unittest.TestCase):
    def test_lines_come_apart(self) -> None:
        for text, (sums, also, name, preparation) in PARSED.items():
            line = parse_line(text)
            with self.subTest(text):
                self.assertEqual([a.text for a in line.sums], sums)
                self.assertEqual([a.text for a in line.also], also)
                self.assertEqual((line.name, line.preparation), (name, preparation))

    def test_two_foods_in_a_line(self) -> None:
        for text, count in SPLIT.items():
            with self.subTest(text):
                self.assertEqual(len(split_line(text)), count, split_line(text))

    def test_bullets_and_blanks_go(self) -> None:
        for text, wanted in CLEANED.items():
            with self.subTest(repr(text)):
                self.assertEqual(clean(text), wanted)

    def read(self, text: str) -> Reading:
        return read_recipe(text, shipped_pantry())

    def test_each_line_of_a_document_has_its_role_and_together_they_are_the_text(self) -> None:
        for text, roles in DOCUMENTS:
            with self.subTest(text):
                lines = self.read(text).text_lines
                self.assertEqual([line.role for line in lines if line.role], roles)
                self.assertEqual("\n".join(line.text for line in lines), text.replace("\r\n", "\n"))

    def test_components_follow_their_headings(self) -> None:
        found = self.read("Tart\nPastry:\n200 g flour\nFor the filling\n3 eggs\nGlaze\n50 g jam").lines
        self.assertEqual([x.component for x in found if x.role == "food"], ["pastry", "filling", "glaze"])

    def test_one_line_pastes_are_cut_at_their_bullets(self) -> None:
        found = self.read("Cake • 200 g flour • 100 g sugar • 2 eggs").lines
        self.assertEqual([x.ingredient for x in found if x.role == "food"], ["plain_flour", "white_sugar", "egg"])
