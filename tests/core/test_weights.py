"""Household weights held against published ones, and against each other."""

from __future__ import annotations

import unittest

from tools.make_pantry import DATASETS, food_data, read_entries

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.quantities.measures import cup_standard

# Portions of the table that are another thing than what a recipe measures: a packet, a pot, a fruit with its stones, a whole seed.
ANOTHER_PORTION = frozenset(
    [
        "cake_mix",
        "teff_flour",
        "hazelnut_meal",
        "ground_flax",
        "yoghurt",
        "yoghurt_fat_free",
        "sour_cream",
        "caster_sugar",
        "white_sugar",
        "light_brown_sugar",
        "dark_brown_sugar",
        "demerara_sugar",
        "maple_sugar",
        "pear_puree",
        "mango_puree",
        "cherry",
        "fig_fresh",
        "quince",
        "rice_cooked",
        "sunflower_seeds",
        "drinking_chocolate",
        "chocolate_chips",
        "yeast",
        "fresh_yeast",
        "mint_leaves",
        "toffee_bits",
        "vermicelli",
    ]
)


class Published(unittest.TestCase):
    def test_each_published_portion_is_one_of_ours(self) -> None:
        """USDA FoodData Central, portion weights (SR Legacy and FNDDS, as the registry's table of it has them: without the unit's name)."""
        pantry, rows, us = shipped_pantry(), food_data(), cup_standard("us")
        held = 0
        for entry in read_entries():
            prefix, _, name = entry.row.partition(":")
            row = rows.get((DATASETS.get(prefix, ""), name))
            if row is None or not row["portion_gram_weight"] or entry.key in ANOTHER_PORTION:
                continue
            grams = float(row["portion_gram_weight"])
            if any(abs(grams - plain) < 0.1 for plain in (15.0, 28.35, 100.0)):
                continue  # an ounce or a round weight, of whatever food
            density = pantry[entry.key].density_g_per_ml()
            ours = [measure.grams for measure in pantry[entry.key].measures]
            if density:
                ours += [density * ml for ml in (us.cup_ml, us.cup_ml / 2, us.tablespoon_ml, us.teaspoon_ml, 29.57)]
            with self.subTest(entry.key, published=grams):
                self.assertLessEqual(min(abs(g / grams - 1) for g in ours), 0.08)
            held += 1
        self.assertGreaterEqual(held, 150)

    def test_cup_tablespoon_and_teaspoon_agree(self) -> None:
        """16 US tablespoons are a cup and 3 teaspoons a tablespoon (NIST SP 811); spoons are filled a little differently."""
        for food in shipped_pantry():
            cup, tablespoon, teaspoon = (food.measure(unit) for unit in ("cup", "tbsp", "tsp"))
            with self.subTest(food.key):
                if cup and tablespoon:
                    self.assertLessEqual(abs(16 * tablespoon.grams / cup.grams - 1), 0.12)
                if tablespoon and teaspoon:
                    self.assertLessEqual(abs(3 * teaspoon.grams / tablespoon.grams - 1), 0.12)
