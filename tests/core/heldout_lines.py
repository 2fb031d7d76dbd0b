"""Lines and conflicts written before they were read, each set measured once as it stood, then kept as a guard.

heldout_lines.csv holds the lines: the food (alternatives by |), and the least and most grams that a careful baker would
weigh: common practice, no published source. docs/method.md tells how the reader did on each set before anything was mended for it.
The fifth set was made odd on purpose, in the kinds of hand that an earlier reader had stumbled over; the sixth is everyday lines
again; of the later ones those are kept that came out wrong, or asked, when they were first read.
"""

from __future__ import annotations

import csv
from itertools import groupby
from pathlib import Path
from typing import NamedTuple


class Weighed(NamedTuple):
    """A line, the foods that it may be, and what they may weigh [g]."""

    text: str
    foods: tuple[str, ...]
    least_g: float
    most_g: float


def _sets() -> dict[str, tuple[Weighed, ...]]:
    with Path(__file__).with_suffix(".csv").open(newline="", encoding="utf-8") as handle:
        return {
            name: tuple(
                Weighed(row["line"], tuple(row["foods"].split("|")), float(row["least_g"]), float(row["most_g"]))
                for row in rows
            )
            for name, rows in groupby(csv.DictReader(handle), key=lambda row: row["set"])
        }


# The lines by the set that they were written for, from the first to the ninth.
SETS = _sets()
# No cup of any country, no packing and no size reconciles the two.
CONFLICTS = (
    '1/3 cup (130g) brown sugar', '1 cup (250 g) plain flour', '2 cups (500g) flour', '1 cup (60 g) granulated sugar',
    '3/4 cup (75 g) maple syrup', '2 tbsp (60 g) butter', '1 cup (125 g) butter, softened', '1 stick (150 g) butter',
    '3 large eggs (300 g)', '2 bananas (500 g)', '1 cup (80 g) yoghurt', '2 cups (200 ml) milk',
    '1/4 cup (120 g) cocoa powder', '1 tbsp (30 g) baking powder', '1 tsp (15 g) salt',
    '100 g / 10 oz dark chocolate', '1 cup (300 g) rolled oats', '1/2 cup (150g) almond flour',
    '10 Medjool dates (80 g)', '1 cup (100 g) date paste', '4 oz (200 g) cream cheese', '1 egg (100 g)',
    '200g (4 cups) sugar', '50 ml (1 cup) vegetable oil', '3 tbsp (100 g) chia seeds', '1 cup (50 g) raisins',
    '2 cups (120 g) grated carrot', '1/4 cup (100 g) walnuts', '1 cup (120g) water', '1/2 cup (30 g) peanut butter',
    '1 lb (250 g) butter', '250 g (1/2 cup) icing sugar', '4 egg whites (250 g)', '1 cup (90 g) applesauce',
    '2/3 cup (60 g) coconut sugar', '1 tbsp (40 g) coconut oil', '1 cup (400 g) cornflour', '6 tbsp (30 g) sugar',
    '1/2 tsp (10 g) baking soda', '1/2 cup (250 g) sugar', '1 cup (70 g) brown sugar, packed',
    '2 cups (150g) plain flour', '1 cup (450 g) honey', '1/2 cup (60 g) butter', '2 sticks (113 g) butter',
    '1 cup (330 g) milk', '1 tsp (12 g) baking powder', '1/4 cup (80 g) ground almonds', '1 cup (40g) oats',
    '2 large eggs (200 g)', '4 medium bananas (200 g)', '1 cup (100 g) mashed banana',
    '100 g (2 cups) chocolate chips', '8 oz (100 g) cream cheese', '1 tbsp (5 g) honey',
    '2/3 cup (250 g) vegetable oil', '1 cup (320 g) cocoa', '1/3 cup (20 g) peanut butter',
    '12 Medjool dates (500 g)', '1 cup (25 g) walnuts', '500 ml (1 cup) milk', '1/2 cup (20 g) raisins',
    '1 kg (1 lb) apples', '3 egg yolks (120 g)', '1 cup (500 g) yoghurt', '1/4 tsp (5 g) salt',
    '120 g (1/4 cup) coconut flour', '2 tbsp (80 g) cornflour',
    '1 cup (100 g) sugar', '1/4 cup (150 g) honey', '3 eggs (350 g)', '1 cup (300 g) almond flour', '1 tbsp (35 g) butter', '2 cups (900 g) milk', '1/2 cup (150 g) cocoa', '1 stick (200 g) butter', '10 oz (500 g) dark chocolate', '1 tsp (20 g) baking powder', '1 cup (60 g) mashed banana', '2 tbsp (100 g) yoghurt', '500 g (1 cup) flour', '1 cup (40 g) chopped nuts',
)  # fmt: skip
# Some cup, packing or size of a careful baker fits both.
AGREEING = (
    '1 cup (200 g) brown sugar', '1 cup (120 g) plain flour', '2 cups (280g) flour', '1/2 cup (170 g) honey',
    '1 cup (210 g) granulated sugar', '3/4 cup (240 g) maple syrup', '2 tbsp (28 g) butter',
    '1 cup (230 g) butter, softened', '1 stick (115 g) butter', '3 large eggs (150 g)',
    '3 large eggs (about 170 g in shell)', '2 bananas (220 g)', '1 cup (240 g) yoghurt', '2 cups (500 ml) milk',
    '1/4 cup (25 g) cocoa powder', '1 tbsp (12 g) baking powder', '1 tsp (5 g) salt', '100 g / 3½ oz dark chocolate',
    '1 cup (90 g) rolled oats', '1/2 cup (50g) almond flour', '10 Medjool dates (200 g)', '1 cup (280 g) date paste',
    '4 oz (115 g) cream cheese', '1 egg (60 g)', '200g (1 cup) sugar', '240 ml (1 cup) vegetable oil',
    '3 tbsp (36 g) chia seeds', '1 cup (150 g) raisins', '2 cups (220 g) grated carrot', '1/4 cup (30 g) walnuts',
    '1 cup (240g) water', '1/2 cup (125 g) peanut butter', '1 lb (450 g) butter', '250 g (2 cups) icing sugar',
    '4 egg whites (130 g)', '1 cup (250 g) applesauce', '2/3 cup (100 g) coconut sugar', '1 tbsp (14 g) coconut oil',
    '1 cup (125 g) cornflour', '6 tbsp (75 g) sugar', '1/2 tsp (3 g) baking soda', '1 (400 g) can coconut milk',
    '3 medium bananas, about 350 g, mashed', '12 dates (100 g), pitted', '250 g dates (about 1⅔ cups)',
    '1/2 cup (100 g) sugar', '1 cup (215 g) brown sugar, packed', '2 cups (250g) plain flour', '1 cup (340 g) honey',
    '3 tbsp (60 g) maple syrup', '1/2 cup (115 g) butter', '2 sticks (226 g) butter', '1 cup (240 ml) milk',
    '1 tsp (4 g) baking powder', '1/4 cup (25 g) ground almonds', '1 cup (100g) oats', '2 large eggs (110 g)',
    '4 medium bananas (450 g)', '1 cup (225 g) mashed banana', '170 g (1 cup) chocolate chips',
    '8 oz (225 g) cream cheese', '1 tbsp (20 g) honey', '2/3 cup (150 g) vegetable oil', '1 cup (90 g) cocoa',
    '1/3 cup (85 g) peanut butter', '12 Medjool dates (240 g)', '1 cup (115 g) walnuts', '500 ml (2 cups) milk',
    '1/2 cup (75 g) raisins', '1 kg (2¼ lb) apples', '3 egg yolks (54 g)', '1 cup (245 g) yoghurt',
    '1/4 tsp (1.5 g) salt', '30 g (1/4 cup) coconut flour', '2 tbsp (16 g) cornflour',
    '1½ cups (340 g) pumpkin purée', '3 ripe bananas (about 1½ cups)', "2 lemons' juice (90 ml)",
    '1 cup / 8 oz sugar', '16 tbsp (2 sticks) butter', '1 lb (3½ cups) icing sugar', '1/2 cup (200 g) honey',
    '3 tbsp (90 g) maple syrup',
    '1 cup (220 g) caster sugar', '1/4 cup (80 g) honey', '3 eggs (155 g)', '1 cup (110 g) almond flour', '1 tbsp (15 g) butter', '2 cups (490 g) milk', '1/2 cup (40 g) cocoa', '1 stick (110 g) butter', '10 oz (280 g) dark chocolate', '1 tsp (5 g) baking powder', '1 cup (240 g) mashed banana', '2 tbsp (30 g) yoghurt', '500 g (4 cups) flour', '1 cup (120 g) chopped walnuts',
)  # fmt: skip
NONSENSE = (
    'asdf qwer zxcv', 'see note 3 below', '12345', '!!!', 'love and patience', '-----', 'http', '1 cup of moonlight',
    '3 grinnets of flooble', 'step aside', '2 cups gravel', '100 g plutonium', '∞ cups sugar', '1e99 g flour',
    '0 g butter', 'NaN cups milk', 'a sprinkle of magic', 'lorem ipsum dolor', '99 problems',
    '<script>alert(1)</script>', '-1/0 cups flour', '1 cup', '200 g', 'see photo', '½', '2 cups of patience',
    '5 kg of feathers',
    'happy baking!', '42', '1 tonne of glitter', 'see above',
)  # fmt: skip


# What stands in recipes and is no food.
NO_FOOD: tuple[str, ...] = (
    "500 g",
    "1 baking tin, 20 cm",
    "parchment paper",
    "cooking twine, 1 m",
    "2 kg gravel for the drive",
    "12 paper cases",
    "Keeps 3 days in a tin",
    "Serve with a smile",
    "1 skewer to test",
    "14 wedges",
    "cake tin, greased",
    "You will need: a 20 cm tin",
    "1 large piping bag",
    "4 wooden skewers",
    "Calories: 240 per slice",
    "Print recipe",
)

# What a line names second, and how much of it [g].
SECOND_FOODS: tuple[tuple[str, str, float], ...] = (
    ("2 eggs, separated + 1 extra white", "egg_white", 33),
    ("1 tsp. ea. cinnamon & ginger", "ginger_ground", 1.8),
    ("2 Tbsp flaxmeal mixed w/ 6 Tbsp water", "water", 90),
    ("50 g breadcrumbs toasted in 20 g butter", "butter", 20),
    ("Gelatine powder 3 tbsp, bloomed in 120 ml cold water", "water", 120),
    ("250 g sultanas soaked in 60 ml rum", "rum", 57),
    ("150g icing sugar + zest 1 orange", "orange_zest", 6),
    ("zest of 3 lemons, plus 75ml juice", "lemon_juice", 77),
    ("zest 1 orange, 2 tbsp juice", "orange_juice", 31),
    ("1 egg yolk + 1 tbsp milk, pearl sugar 20 g", "white_sugar", 20),
    ("500 g strong white flour ........ 75 g caster sugar", "caster_sugar", 75),
)
