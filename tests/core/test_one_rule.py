"""Rules that stood in two places and contradicted each other: each is one now."""

from __future__ import annotations

import unittest

from bench.desserts import DESSERTS

from sun_crumb.core.exploring import relaxations
from sun_crumb.core.formula import from_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.quantities.measures import cup_standard, unit_words, volume_ml
from sun_crumb.core.quantities.nouns import plural, singular
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.rework import rework
from sun_crumb.core.sugars.sittings import sittings
from sun_crumb.core.wish import Goals
from tests.support import batter, formula_of


class RuledOut(unittest.TestCase):
    def test_no_change_of_a_wish_brings_in_what_someone_at_the_table_must_not_eat(self) -> None:
        """No honey before the first birthday: WHO and national health services; here by eaters.csv."""
        found = 0
        for name, text in DESSERTS.items():
            formula, _ = from_reading(read_recipe(text, shipped_pantry()), shipped_pantry())
            if not any(line.ingredient.has_role("sugar") for line in formula.lines):
                continue
            for wish in ({"eaters": ("infant",)}, {"avoid": ("treenut",)}, {"diets": ("vegan",)}):
                goals = Goals(path="fruit", cut=0.9, **wish)  # type: ignore[arg-type]
                for change in relaxations(formula, goals, shipped_pantry()):
                    for key in change.changes.get("cupboard", ()):
                        found += 1
                        with self.subTest(name, key=key, wish=wish):
                            self.assertFalse(shipped_pantry()[key].tags & goals.excluded)
        self.assertGreater(found, 0)


class Counted(unittest.TestCase):
    def test_one_and_many_of_portions(self) -> None:
        for one, many in (("slice", "slices"), ("loaf", "loaves"), ("cookie", "cookies"), ("brownie", "brownies"), ("glass", "glasses"),
                          ("pastry", "pastries"), ("tray", "trays"), ("box", "boxes"), ("peach", "peaches"), ("person", "people"),
                          ("pie", "pies"), ("mini loaf", "mini loaves"), ("dish", "dishes"), ("square", "squares")):  # fmt: skip
            with self.subTest(one):
                self.assertEqual((plural(one), singular(many), plural(one, 1)), (many, one, one))

    def test_a_yield_in_many_is_called_by_one(self) -> None:
        for text, count, unit in (("Makes 2 loaves", 2, "loaf"), ("Makes 24 cookies", 24, "cookie"), ("Serves 6 people", 6, "serving"),
                                  ("Makes 8 glasses", 8, "glass")):  # fmt: skip
            reading = read_recipe(f"Test bake\n{text}\n100 g sugar", shipped_pantry())
            with self.subTest(text):
                assert reading.yields is not None
                self.assertEqual((reading.yields.count, reading.yields.unit), (count, unit))

    def test_a_plan_speaks_of_loaves(self) -> None:
        text = "Fig bread\nMakes 4 loaves\n500 g flour\n300 g sugar\n200 g butter\n4 eggs\n2 tsp baking powder\nTopping:\n60 g sugar\n20 g butter"
        formula = formula_of(text)
        plan = rework(formula, Goals(path="less", cut=0.6), shipped_pantry())
        told = " ".join((plan.words, *plan.advice, *plan.cautions))
        self.assertEqual(formula.unit, "loaf")
        self.assertNotIn("loafs", told)
        self.assertNotIn("loaves:", told)


class Spoons(unittest.TestCase):
    def test_a_dessertspoon_is_two_thirds_of_a_tablespoon(self) -> None:
        """10 mL: a dessertspoon in metric kitchens (common practice, no published source)."""
        key = unit_words()["dessertspoon"]
        self.assertEqual(volume_ml(1, key, cup_standard("us")), 10)
        self.assertNotEqual(key, unit_words()["spoon"])


class PerSitting(unittest.TestCase):
    def test_the_caution_and_the_limit_are_the_same_number(self) -> None:
        most = {s.key: s.most_g for s in sittings()}
        foods = {"erythritol": "erythritol", "polyols": "xylitol", "inulin": "inulin", "allulose": "allulose"}
        # 15 g of polydextrose in a serving: where 21 CFR 172.841 asks for a warning (from memory).
        self.assertEqual(most["polydextrose"], 15)
        for key, food in (foods | {"polydextrose": "polydextrose"}).items():
            held = next(s for s in sittings() if s.key == key).held_per_gram(shipped_pantry()[food].per_100g)
            for share, is_told in ((0.9, False), (1.2, True)):
                grams = share * most[key] / held
                formula = batter(1, plain_flour=60, butter=40, white_sugar=30, egg=50, **{food: grams})
                plan = rework(formula, Goals(path="less", cut=0.2), shipped_pantry())
                with self.subTest(food, share=share):
                    self.assertEqual(any(f"(limit {most[key]:.0f} g)" in words for words in plan.cautions), is_told)

    def test_no_gram_is_counted_twice(self) -> None:
        fields = [name for sitting in sittings() for name in sitting.fields]
        self.assertEqual(len(fields), len(set(fields)))


class Titles(unittest.TestCase):
    def test_a_title_is_the_dessert_and_its_parenthesis_is_still_read(self) -> None:
        for title, wanted, count in (
            ("Fig loaf (makes 1 loaf, 10 slices)", "Fig loaf", None),
            ("Fig loaf (makes 12 slices)", "Fig loaf", 12),
            ("Brownies (about 16 squares)", "Brownies", None),
            ("Brownies (the fudgy ones)", "Brownies (the fudgy ones)", None),
            ("Cake (1950s style)", "Cake (1950s style)", None),
        ):
            reading = read_recipe(f"{title}\n\n200 g sugar\n200 g flour\n2 eggs\n", shipped_pantry())
            with self.subTest(title):
                self.assertEqual(reading.title, wanted)
                if count:
                    assert reading.yields is not None
                    self.assertEqual(reading.yields.count, count)


if __name__ == "__main__":
    unittest.main()
