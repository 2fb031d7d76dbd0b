"""What many lines of a text bear alike says nothing of any one of them. Made-up recipes; no published source."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe

METHOD = "\n\nWhisk all together and bake at 180 °C for 30 minutes. Cut into 12 squares.\n"


def weighed(text: str) -> dict[str, float]:
    """Return what is weighed of a text, by component and food [g]."""
    lines = read_recipe(text, shipped_pantry()).lines
    return {f"{x.component}/{x.ingredient}": x.grams for x in lines if x.status == "ok" and x.grams is not None}


class Alike(unittest.TestCase):
    def test_the_rows_of_a_table_without_a_head(self) -> None:
        for sign in ";,|":
            rows = ("Butter;250;g", "Caster sugar;180;g", "Eggs;4;pc", "Cocoa;40;g;0.60")
            with self.subTest(sign):
                found = weighed("Tray cake\n\n" + "\n".join(row.replace(";", sign) for row in rows) + METHOD)
                self.assertEqual(found, {"/butter": 250.0, "/caster_sugar": 180.0, "/egg": 200.0, "/cocoa": 40.0})

    def test_a_number_before_every_line(self) -> None:
        text = "Chia Pudding with Mango\nServes 2\n1/4 cup chia seeds\n200 ml milk\n1 tbsp maple syrup\nMix the seeds with milk and syrup.\nLeave overnight.\nTop with the rest."
        reading = read_recipe("\n".join(f"{n}. {x}" for n, x in enumerate(text.split("\n"), 1)), shipped_pantry())
        self.assertEqual((reading.title, reading.portions and reading.portions.count), ("Chia Pudding with Mango", 2))
        self.assertEqual(len([x for x in reading.lines if x.status == "ok"]), 3)

    def test_counting_that_begins_anew_in_each_part(self) -> None:
        found = weighed(
            "Slab\n\nBase\n01 - 200 g plain flour\n02 - 100 g butter\n\nTop\n01 - 90 g icing sugar\n02 - 2 eggs"
            + METHOD
        )
        self.assertEqual(
            found, {"base/plain_flour": 200.0, "base/butter": 100.0, "top/icing_sugar": 90.0, "top/egg": 100.0}
        )

    def test_names_of_parts_in_brackets_and_behind_letters(self) -> None:
        for form in ("({})", "[{}]", "B. {}", "In the {} ---"):
            text = f"Slab\n\n{form.format('Sharbat')}\n200 g sugar\n100 ml water\n\n{form.format('Crown')}\n90 g honey\n2 eggs"
            with self.subTest(form):
                part = "in the {}" if "In" in form else "{}"
                wanted = {("sharbat", "white_sugar"), ("sharbat", "water"), ("crown", "honey"), ("crown", "egg")}
                self.assertEqual(set(weighed(text + METHOD)), {f"{part.format(name)}/{food}" for name, food in wanted})

    def test_an_amount_at_a_lines_end_is_of_the_food_below(self) -> None:
        found = weighed(
            "RAISIN DROPS\n1 cup raisins; 1 cup\nwater; 100 g butter;\n200 g sugar; 2 eggs;\n1 tsp. vanilla; 300 g\nflour; 1 tsp. soda; 1 tsp.\ncinnamon; 50 g nuts.\nBoil raisins in water."
            + METHOD
        )
        self.assertAlmostEqual(found["/water"], 250.0, delta=1.0)
        self.assertEqual((found["/butter"], found["/plain_flour"]), (100.0, 300.0))

    def test_amounts_behind_their_foods_are_no_prose(self) -> None:
        found = weighed(
            "Orchard tart\n\nFor the pastry:\nplain flour, 2 c.\nbutter, 100 g\nconfectioners' sugar, 50 g\nmedium eggs, 2\nFilling -\nalmond flour, 75 g"
            + METHOD
        )
        self.assertEqual(
            found,
            {
                "pastry/plain_flour": 264.2,
                "pastry/butter": 100.0,
                "pastry/icing_sugar": 50.0,
                "pastry/egg": 88.0,
                "filling/almond_flour": 75.0,
            },
        )

    def test_what_is_filed_as_food_and_holds_a_number_is_asked_about(self) -> None:
        lines = read_recipe(
            "Tart\n\nCase: 1 quite unheard of zorble case\n200 g sugar\n3 eggs" + METHOD, shipped_pantry()
        ).lines
        self.assertTrue(any(x.status in ("ask", "unreadable") and "zorble" in x.text for x in lines))


if __name__ == "__main__":
    unittest.main()
