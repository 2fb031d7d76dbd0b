"""Paths, candidates, rules of thumb, cautions and reasons."""

from __future__ import annotations

import re

from sun_crumb.core.balance import families
from sun_crumb.core.formula import Formula
from sun_crumb.core.offers.candidates import additions
from sun_crumb.core.offers.moves import counted_per_gram, is_cuttable, move_of
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.household import grid_of, household
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.rework import rework
from sun_crumb.core.telling.advice import by_the_book, cautions, rules
from sun_crumb.core.wish import Goals, paths
from tests.support import CAKE, CloseTo, batter, formula_of, lines_of

ALLOWED = {
    "fruit": {"date_paste", "banana", "applesauce", "date_sugar", "prune_puree"},
    "less": set(),
    "unrefined": {
        "honey",
        "maple_syrup",
        "coconut_sugar",
        "jaggery",
        "date_syrup",
        "date_paste",
        "apple_juice_concentrate",
    },
    "zero": {"stevia_extract", "erythritol", "allulose", "xylitol", "inulin", "monk_fruit_erythritol"},
    "blend": {"honey", "date_paste", "stevia_extract", "erythritol", "coconut_sugar", "banana"},
}
FORBIDDEN = {
    "fruit": {"honey", "stevia_extract", "white_sugar", "erythritol", "apple_juice_concentrate", "jam"},
    "less": {"honey", "date_paste", "erythritol"},
    "unrefined": {"white_sugar", "erythritol", "golden_syrup", "corn_syrup", "jam"},
    "zero": {"honey", "white_sugar", "date_paste"},
    "blend": {"white_sugar", "corn_syrup", "condensed_milk", "marshmallow"},
}
# What the trade swaps for one cup (200 g) of sugar, in grams of the sweetener (common practice, no published source).
BOOK = {
    "honey": 254,
    "maple_syrup": 241,
    "coconut_sugar": 155,
    "agave_syrup": 221,
    "date_paste": 280,
    "banana": 225,
    "applesauce": 244,
    "erythritol": 267,
    "stevia_erythritol": 200,
    "stevia_extract": 2.6,
}
# Words a caution must hold when the ingredient is in the recipe.
CAUTIONS = {
    "honey": "infants", "egg": "egg", "milk": "milk", "plain_flour": "wheat", "almonds": "tree nuts", "peanut_butter": "peanut",
    "xylitol": "dogs", "raisin": "dogs", "dark_chocolate_70": "dogs", "macadamias": "dogs", "tahini": "sesame", "rum": "alcohol",
    "soy_milk": "soy", "dried_apricot": "sulphites", "rolled_oats": "gluten",
}  # fmt: skip


class Paths(CloseTo):
    def test_each_school_sweetens_in_its_own_way(self) -> None:
        for key, path in paths().items():
            for name in ALLOWED[key]:
                with self.subTest(key, allows=name):
                    self.assertTrue(path.allows(shipped_pantry()[name]))
            for name in FORBIDDEN[key]:
                with self.subTest(key, forbids=name):
                    self.assertFalse(path.allows(shipped_pantry()[name]))

    def test_presets_hold(self) -> None:
        for key, path in paths().items():
            with self.subTest(key):
                self.assertTrue(0 < path.cut <= 1 and 0.5 <= path.keep_sweet <= 1 and path.words)
                for name in path.usual:
                    self.assertTrue(path.allows(shipped_pantry()[name]), name)

    def test_what_is_cut_and_what_moves(self) -> None:
        sugar, honey, chips, milk, egg = lines_of(white_sugar=1, honey=1, chocolate_chips=1, milk=1, egg=1)
        self.assertTrue(is_cuttable(sugar, "refined_sugar_g") and is_cuttable(honey, "free_sugars_who_g"))
        self.assertFalse(is_cuttable(honey, "refined_sugar_g") or is_cuttable(chips, "free_sugars_who_g"))
        cake, foam = families()["butter_cake"], families()["meringue"]
        self.assertIsNone(move_of(egg, "free_sugars_who_g", foam))
        self.assertIsNone(move_of(chips, "free_sugars_who_g", cake))
        move = move_of(milk, "free_sugars_who_g", cake)
        assert move is not None
        self.assertEqual((move.low, move.high), (0.5, 1.25))

    def test_the_five_definitions_count_honey_differently(self) -> None:
        (honey,) = lines_of(honey=1)
        found = {
            d: round(counted_per_gram(honey, d), 3)
            for d in ("total_sugars_g", "refined_sugar_g", "added_sugars_us_g", "free_sugars_who_g")
        }
        self.assertEqual(
            found,
            {"total_sugars_g": 0.821, "refined_sugar_g": 0, "added_sugars_us_g": 0.821, "free_sugars_who_g": 0.821},
        )

    def test_what_is_there_already_is_not_brought_in_again(self) -> None:
        formula = batter(plain_flour=200, white_sugar=100, honey=50, egg=100, butter=100)
        goals = Goals(path="blend", cupboard=("honey", "maple_syrup"))
        keys = [a.ingredient.key for a in additions(formula, families()["butter_cake"], goals, shipped_pantry())]
        self.assertNotIn("honey", keys)
        self.assertIn("maple_syrup", keys)


class ByTheBook(CloseTo):
    def test_the_trades_amounts_for_a_cup_of_sugar(self) -> None:
        found = {b.ingredient: b for b in by_the_book(200, 850, dict.fromkeys(BOOK, 1.0), shipped_pantry())}
        for key, grams in BOOK.items():
            with self.subTest(key):
                self.assertClose(found[key].rule_g, grams, rel=0.04)
                self.assertTrue(found[key].why)

    def test_rules_that_the_numbers_refute_say_so(self) -> None:
        # Applesauce or banana cup for cup bring 10-20 % of the sweetness: they replace moisture, not sugar.
        found = {
            b.ingredient: b.why
            for b in by_the_book(200, 850, {"applesauce": 1, "banana": 1, "maple_syrup": 1}, shipped_pantry())
        }
        for key, most in (("applesauce", 15), ("banana", 20), ("maple_syrup", 78)):
            percent = re.search(r"(\d+) %", found[key])
            assert percent is not None
            with self.subTest(key):
                self.assertLessEqual(int(percent[1]), most)

    def test_every_rule_names_a_sweetener_of_the_pantry(self) -> None:
        for key, rule in rules().items():
            with self.subTest(key):
                self.assertIn(key, shipped_pantry())
                self.assertLessEqual(*rule.liquid_out_tbsp)


class Cautions(CloseTo):
    def test_each_danger_is_told(self) -> None:
        for key, words in CAUTIONS.items():
            found = cautions(batter(4, **{key: 100.0}), set())
            with self.subTest(key):
                self.assertTrue(any(words in line for line in found), found)

    def test_everyone_is_sent_to_the_doctor_and_new_things_come_first(self) -> None:
        found = cautions(batter(4, honey=50, milk=100), {"honey"})
        self.assertTrue(any("doctor" in line for line in found))
        self.assertLess(
            next(i for i, x in enumerate(found) if "infants" in x), next(i for i, x in enumerate(found) if "milk" in x)
        )
        self.assertTrue(any("not “sugar-free”" in line for line in found))

    def test_each_kind_of_dessert_has_its_dangers(self) -> None:
        for kind, words in (
            ("caramel", "burns"), ("no_bake", "heat-treated"), ("custard", "chilled"), ("fruit", "canning"),
            ("frosting", "stays cold"), ("sauce", "stick blender"),
        ):  # fmt: skip
            with self.subTest(kind):
                raw = batter(4, milk=100, plain_flour=50)
                self.assertTrue(any(words in line for line in cautions(raw, set(), [families()[kind]])))
                self.assertFalse(any(words in line for line in cautions(raw, set(), [families()["butter_cake"]])))

    def test_what_is_baked_is_not_said_to_be_raw(self) -> None:
        """Common practice: a crumb base under a baked filling goes into the oven; dates and nuts hold nothing raw."""
        base, filling = families()["crumb_crust"], families()["cheesecake"]
        self.assertFalse(any("heat-treated" in x for x in cautions(batter(8, plain_flour=25), set(), [base, filling])))
        self.assertFalse(any("heat-treated" in x for x in cautions(batter(8, medjool_date=100), set(), [base])))

    def test_polyols_by_the_portion(self) -> None:
        many, few = batter(4, xylitol=60, milk=100), batter(8, xylitol=60, milk=100)
        self.assertTrue(any("loose stomach" in line for line in cautions(many, set())))
        self.assertFalse(any("loose stomach" in line for line in cautions(few, set())))

    def test_inulin_and_allulose_by_the_portion_and_the_law_only_for_what_came_in(self) -> None:
        self.assertTrue(any("wind" in line for line in cautions(batter(4, inulin=60, milk=100), set())))
        self.assertFalse(any("wind" in line for line in cautions(batter(12, inulin=60, milk=100), set())))
        self.assertTrue(
            any(
                "30 g of allulose (limit 20 g), 1.5 times what a sitting bears" in line
                for line in cautions(batter(2, allulose=60), set())
            )
        )
        self.assertFalse(any("law may" in line for line in cautions(batter(8, allulose=60), set())))
        self.assertTrue(any("law may" in line for line in cautions(batter(8, allulose=60), {"allulose"})))


class Amounts(CloseTo):
    def test_household_words(self) -> None:
        cases = (
            ("egg", 100, "2"),
            ("egg", 75, "1½"),
            ("egg_yolk", 17, "1"),
            ("honey", 84.75, "¼ cup"),
            ("baking_soda", 2.3, "½ tsp"),
            ("plain_flour", 250, "2 cups"),
            ("salt", 0.35, "a pinch"),
            ("butter", 113.5, "½ cup"),
        )
        for key, grams, words in cases:
            with self.subTest(key):
                self.assertEqual(household(shipped_pantry()[key], grams, cup_standard("us")), words)

    def test_metric_cups_hold_more(self) -> None:
        milk = shipped_pantry()["milk"]
        self.assertEqual(household(milk, 257.8, cup_standard("metric")), "1 cup")
        self.assertNotEqual(household(milk, 257.8, cup_standard("us")), "1 cup")

    def test_steps_are_what_a_spoon_can_measure(self) -> None:
        us = cup_standard("us")
        self.assertClose(grid_of(shipped_pantry()["honey"], 200, us), 21.2, absolute=0.01)
        self.assertClose(grid_of(shipped_pantry()["baking_soda"], 1, us), 4.6 / 8, absolute=0.01)
        self.assertEqual(grid_of(shipped_pantry()["plum"], 62, us), grid_of(shipped_pantry()["plum"], 62, us))

    def test_plans_land_on_those_steps(self) -> None:
        for line in rework(formula_of(CAKE), Goals(path="fruit"), shipped_pantry()).lines:
            if line.position is None:
                step = grid_of(shipped_pantry()[line.ingredient], line.after_g, cup_standard("us"))
                with self.subTest(line.ingredient):
                    self.assertClose(line.after_g / step, round(line.after_g / step), absolute=0.02)


class Reasons(CloseTo):
    def plan(self, formula: Formula, **goals: object) -> dict[str, str]:
        made = rework(formula, Goals(**goals), shipped_pantry())  # type: ignore[arg-type]
        return {line.ingredient: line.reason for line in made.lines}

    def test_the_cut_says_how_much_less_in_each_portion(self) -> None:
        reason = self.plan(formula_of(CAKE), path="zero", cut=0.5)["white_sugar"]
        grams = re.search(r"([\d.]+) g less free sugar in each square", reason)
        assert grams is not None
        self.assertClose(float(grams[1]), 100 * 0.998 / 16, rel=0.06)

    def test_a_sweetener_says_its_sweetness_and_water(self) -> None:
        made = rework(formula_of(CAKE), Goals(path="unrefined", cupboard=("honey",)), shipped_pantry())
        honey = next(line for line in made.lines if line.ingredient == "honey")
        sweet, water = re.findall(r"([\d.]+) g of (?:sugar|water)", honey.reason)[:2]
        self.assertClose(float(sweet), 0.7687 * honey.after_g, rel=0.02)
        self.assertClose(float(water), 0.171 * honey.after_g, rel=0.03)

    def test_an_adjuster_says_what_would_be_off_without_it(self) -> None:
        reason = self.plan(formula_of(CAKE), path="less", cut=0.4)["yoghurt"]
        self.assertRegex(reason, r"moisture would be −\d+ % without this change, with it [−+]?\d+ %")
