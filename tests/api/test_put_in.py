"""What the workshop made goes into a recipe, through the real application."""

from __future__ import annotations

import unittest
from typing import Any

from tests.support import WithApplication

LOAF = """Courgette loaf
Makes 10 slices

300 g courgette, grated
200 g plain flour
150 g caster sugar
120 ml sunflower oil
2 eggs
2 tsp baking powder

1. Grate and squeeze the courgette.
2. Whisk the oil, sugar and eggs, then stir in the courgette.
3. Fold in the flour and baking powder. Bake at 180 C for 50 minutes.
"""


class PutIn(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        read = self.post("/api/read", {"text": LOAF})
        lines = [
            {"ingredient": x["ingredient"], "grams": x["grams"], "component": x["component"], "text": x["text"]}
            for x in read["lines"]
            if x["grams"]
        ]
        self.recipe = self.post(
            "/api/recipes",
            {"title": "Courgette loaf", "lines": lines, "servings": 10, "unit": "slice", "source_text": LOAF},
        )
        self.at = {"recipe_id": self.recipe["id"], "version_id": self.recipe["versions"][0]["id"]}

    def use(self, key: str, given: dict[str, str], expect: int = 200, **more: Any) -> Any:
        return self.post(f"/api/workshop/{key}/use", {"given": given, **self.at, **more}, expect)

    def test_squeezed_courgette_takes_its_lines_place_and_keeps_its_water_and_sugar(self) -> None:
        given = {"food": "courgette", "before": "300", "after": "200"}
        recipe = self.use("squeeze", given, position=0)
        first, second = recipe["versions"]
        line = second["lines"][0]
        self.assertEqual((line["grams"], len(second["lines"])), (200, len(first["lines"])))
        self.assertEqual(second["label"], "With 200 g squeezed grated courgette")
        self.assertEqual(first["lines"][0]["grams"], 300)
        made = self.get(f"/api/pantry/{line['ingredient']}")
        worked = self.post("/api/workshop/squeeze", {"given": given})
        told = {figure["name"]: figure["told"] for figure in worked["figures"]}
        self.assertAlmostEqual(float(told["water"].split()[0]), made["water_g"] * 2, delta=1)
        self.assertAlmostEqual(float(told["sugars"].split()[0]), made["total_sugars_g"] * 2, delta=0.1)
        again = self.use("squeeze", given, position=0)["versions"][-1]
        self.assertEqual(again["lines"][0]["ingredient"], line["ingredient"], "made twice, it is one product")

    def test_bake_day_speaks_of_what_was_made(self) -> None:
        recipe = self.use("squeeze", {"food": "courgette", "before": "300", "after": "200"}, position=0)
        day = self.get(f"/api/recipes/{recipe['id']}/versions/{recipe['versions'][-1]['id']}/bake-day")
        words = " ".join(step["text"] for step in day["method"]["steps"])
        self.assertIn("courgette", words)
        self.assertNotIn("300 g", words)
        made = [u for step in day["method"]["steps"] for u in step["uses"] if u["ingredient"].startswith("own_")]
        self.assertEqual([u["grams"] for u in made], [200])

    def test_a_line_of_its_own_joins_its_component(self) -> None:
        recipe = self.use("paste", {"food": "medjool_date", "grams": "100", "water": "50"}, grams=60)
        line = recipe["versions"][-1]["lines"][-1]
        self.assertEqual((line["grams"], line["component"]), (60, ""))
        self.use("paste", {"grams": "100", "water": "50"}, 422, grams=600)
        self.use("paste", {"grams": "100"}, 404, component="icing")

    def test_mash_is_the_food_itself(self) -> None:
        recipe = self.use("mash", {"food": "banana", "weighed": "250"}, position=0)
        self.assertEqual(recipe["versions"][-1]["lines"][0]["ingredient"], "banana")

    def test_another_tin_takes_more_of_everything(self) -> None:
        recipe = self.use("tin", {"old": "20 cm round", "new": "23 cm square", "minutes": "50", "eggs": "2"})
        first, second = recipe["versions"]
        factors = {round(b["grams"] / a["grams"], 3) for a, b in zip(first["lines"], second["lines"], strict=True)}
        self.assertEqual(factors, {1.5}, "eggs are kept whole: 3 for 2")
        self.assertEqual((second["servings"], second["label"]), (15, "In 23 cm square"))
        day = self.get(f"/api/recipes/{recipe['id']}/versions/{second['id']}/bake-day")
        notes = [note for step in day["method"]["steps"] for note in step["notes"]]
        self.assertTrue(any("23 cm square" in note and "bake" in note for note in notes), notes)

    def test_what_makes_nothing_is_refused_and_a_retry_makes_no_second(self) -> None:
        self.use("oven", {"temperature": "180"}, 422)
        self.use("squeeze", {"before": "300", "after": "200"}, 404, position=99)
        key = "c" * 20
        self.use("mash", {"weighed": "250"}, position=0, client_key=key)
        again = self.use("mash", {"weighed": "250"}, position=0, client_key=key)
        self.assertEqual(len(again["versions"]), 2)
        self.at["version_id"] = 999
        self.use("mash", {"weighed": "250"}, 404)


if __name__ == "__main__":
    unittest.main()
