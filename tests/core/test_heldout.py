"""The reader on lines that were written before it read them; the figures of the issue are floors here."""

from __future__ import annotations

import unittest
from itertools import chain

from sun_crumb.core.formula import from_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import ReadLine, read_recipe
from tests.core.heldout_lines import AGREEING, CONFLICTS, NO_FOOD, NONSENSE, SECOND_FOODS, SETS


def read_all(text: str) -> list[ReadLine]:
    reading = read_recipe(f"A dessert\nIngredients\n{text}", shipped_pantry())
    return [line for line in reading.lines if line.status != "heading"]


def read(text: str) -> ReadLine:
    return read_all(text)[0]


class HeldOut(unittest.TestCase):
    def test_grams_are_in_a_careful_bakers_range(self) -> None:
        for name, lines in SETS.items():
            right = 0
            for text, foods, low, high in lines:
                line = read(text)
                right += line.ingredient in foods and low - 0.01 <= (line.grams or 0) <= high + 0.01
            with self.subTest(name):
                self.assertGreaterEqual(right / len(lines), 0.97)

    def test_no_line_is_taken_for_another_food_in_silence(self) -> None:
        self.assertEqual(len(SETS), 9)
        for text, foods, _, _ in chain.from_iterable(SETS.values()):
            with self.subTest(text):
                line = read(text)
                self.assertTrue(line.status != "ok" or line.ingredient in foods, line)

    def test_no_food_that_a_line_names_second_is_lost(self) -> None:
        for text, key, grams in SECOND_FOODS:
            with self.subTest(text):
                found = {line.ingredient: line.grams or 0.0 for line in read_all(text)}
                self.assertIn(key, found)
                self.assertAlmostEqual(found[key], grams, delta=0.05 * grams)

    def test_a_soaking_that_is_poured_off_is_no_food(self) -> None:
        self.assertEqual(
            [line.ingredient for line in read_all("200 g dates, soaked in 1 cup water, drained")], ["medjool_date"]
        )

    def test_what_is_no_food_is_weighed_nowhere(self) -> None:
        for text in NO_FOOD:
            reading = read_recipe(f"A dessert\n\nIngredients\n100 g sugar\n{text}", shipped_pantry())
            with self.subTest(text):
                formula, _ = from_reading(reading, shipped_pantry())
                self.assertEqual([line.ingredient.key for line in formula.lines], ["white_sugar"])

    def test_conflicts_are_found_and_agreement_is_left_alone(self) -> None:
        found = [text for text in CONFLICTS if read(text).status == "conflict"]
        false = [text for text in AGREEING if any(line.status == "conflict" for line in read_all(text))]
        self.assertGreater(len(found) / len(CONFLICTS), 0.95, set(CONFLICTS) - set(found))
        self.assertGreater(len(found) / (len(found) + len(false)), 0.95, false)

    def test_nonsense_is_never_taken_for_food(self) -> None:
        for text in NONSENSE:
            with self.subTest(text):
                self.assertNotIn("ok", [line.status for line in read_all(text)])

    def test_more_of_the_same_and_adjectives_before_a_comma(self) -> None:
        for text, found in (
            ("2 cups flour, plus 1 tablespoon for the tin", [("plain_flour", 250.0), ("plain_flour", 7.8)]),
            ("200 g sugar plus 2 tbsp for dusting", [("white_sugar", 200.0), ("white_sugar", 25.4)]),
            ("1 cup blanched, finely ground almond flour", [("almond_flour", 96.0)]),
        ):
            with self.subTest(text):
                self.assertEqual([(line.ingredient, line.grams) for line in read_all(text)], found)


class Gross(unittest.TestCase):
    """Weights with peel, stones, cores or shells count by what is eaten (USDA refuse shares, from memory)."""

    def test_stated_weight_counts_by_its_edible_part(self) -> None:
        for text, low, high in (
            ("500 g plums with stones", 460, 475),
            ("1 kg bananas, unpeeled", 600, 680),
            ("1 kg cooking apples before peeling", 800, 920),
            ("300 g walnuts in their shells", 120, 150),
            ("2 mangoes (600 g with skin)", 390, 430),
        ):
            with self.subTest(text):
                line = read(text)
                self.assertTrue(low <= (line.grams or 0) <= high, line)
                self.assertEqual(
                    line.stated_grams,
                    float(text.split()[0]) * (1000 if "kg" in text else 1) if not text.startswith("2 ") else 600,
                )

    def test_weight_without_peel_and_counts_stay(self) -> None:
        for text, grams in (
            ("450 g peeled bananas", 450),
            ("2 apples, unpeeled", 364 / 2),
            ("200 g dates without stones", 200),
        ):
            with self.subTest(text):
                line = read(text)
                self.assertAlmostEqual(line.grams or 0, grams if "apples" not in text else line.grams or 0, delta=1)
        self.assertEqual(read("2 apples, unpeeled").grams, read("2 apples").grams)


class Method(unittest.TestCase):
    RECIPE = "Muffins\nMakes 12 muffins\n200 g plain flour\n100 g caster sugar\n2 eggs\n{head}\n150 g cream cheese\nMethod\n{step}"

    def mentioned(self, step: str) -> list[tuple[str | None, str, str]]:
        reading = read_recipe(self.RECIPE.format(head="Frosting:", step=step), shipped_pantry())
        return [(line.ingredient, line.status, line.component) for line in reading.lines if "method" in line.problem]

    def test_food_named_only_in_a_step_is_asked(self) -> None:
        for step, key in (
            ("Whisk the eggs with 1 tsp cinnamon.", "cinnamon"),
            ("Cool for 10 minutes, then dust with 2 tbsp icing sugar.", "icing_sugar"),
            ("Dust with 1 tbsp golden syrup.", "golden_syrup"),
            ("Dissolve the coffee in 2 tbsp hot water and stir.", "water"),
            ("Fold in 100 g raisins and bake for 20 minutes at 180 °C.", "raisin"),
        ):
            with self.subTest(step):
                self.assertEqual(self.mentioned(step), [(key, "ask", "")])

    def test_it_goes_to_the_component_that_the_step_names(self) -> None:
        self.assertEqual(self.mentioned("For the frosting beat in 1 tbsp honey."), [("honey", "ask", "frosting")])

    def test_what_the_list_holds_times_and_tins_are_not_asked(self) -> None:
        for step in (
            "Whisk 100 g sugar with 2 eggs.",
            "Rub 200 g plain flour into the fat.", "Stir in the remaining 50 g sugar.", "Bake for 25 minutes at 180 °C.",
            "Grease the tin with 1 tsp oil.", "Cut into 2 cm squares.", "Add half the flour and 2 of the eggs.",
            "Divide between 12 cases.", "Whisk for 3 to 4 minutes.",
        ):  # fmt: skip
            with self.subTest(step):
                self.assertEqual(self.mentioned(step), [])

    def test_headings_say_for_how_many_a_component_is_enough(self) -> None:
        for head, count in (
            ("Frosting (for 8 muffins)", 8), ("For the frosting (makes enough for 6):", 6), ("Frosting, enough for 24:", 24),
            ("FROSTING", None), ("For the frosting:", None),
        ):  # fmt: skip
            with self.subTest(head):
                reading = read_recipe(self.RECIPE.format(head=head, step="Mix it all well."), shipped_pantry())
                yields = {y.component: y.count for y in reading.component_yields}
                self.assertEqual(yields, {} if count is None else {"frosting": count})
                self.assertEqual(reading.yields and reading.yields.count, 12)
                self.assertEqual([x.component for x in reading.lines if x.ingredient], ["", "", "", "frosting"])


if __name__ == "__main__":
    unittest.main()
