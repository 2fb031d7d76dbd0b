"""The method is data: read once, kept with the recipe, edited, and never read from the text again."""

from __future__ import annotations

import json
import sqlite3
import tempfile
from pathlib import Path

from sun_crumb.app import create_app
from tests.support import WithApplication

TEXT = """Fig loaf
Makes 8 slices
200 g plain flour
150 g sugar
Method
1. Heat the oven to 170 °C and line a 20 cm round tin.
2. Rest the batter for 10 minutes, bake for 40-45 minutes.
"""
LINES = [{"ingredient": "white_sugar", "grams": 150.0}, {"ingredient": "plain_flour", "grams": 200.0}]
RECIPE = {"title": "Fig loaf", "servings": 8, "lines": LINES, "source_text": TEXT}


class Methods(WithApplication):
    def test_it_is_read_when_the_recipe_comes_in(self) -> None:
        method = self.post("/api/recipes", RECIPE)["method"]
        self.assertEqual(
            method["steps"][1],
            {
                "text": "Rest the batter for 10 minutes, bake for 40-45 minutes.",
                "times": [{"doing": "rest", "low": 10, "high": 10}, {"doing": "bake", "low": 40, "high": 45}],
            },
        )
        self.assertEqual((method["oven"], method["bake_minutes"]), ({"temperature_c": 170, "is_fan": False}, [40, 45]))
        self.assertEqual(method["tin"]["sizes_cm"], [20])

    def test_what_is_edited_stands_and_the_text_is_not_read_again(self) -> None:
        recipe = self.post("/api/recipes", RECIPE)
        steps = [{"text": "Stir."}, {"text": "Bake for 1 hour."}]
        method = {"steps": steps, "oven": {"temperature_c": 140, "is_fan": True}, "bake_minutes": [60, 55], "tin": None}
        changed = self.patch(f"/api/recipes/{recipe['id']}", {"revision": 1, "method": method})["method"]
        self.assertEqual(changed["steps"][1]["times"], [{"doing": "bake", "low": 60, "high": 60}])
        self.assertEqual((changed["bake_minutes"], changed["tin"]), ([55, 60], None))
        self.assertEqual(self.get(f"/api/recipes/{recipe['id']}")["method"], changed)
        sent = json.loads(self.get(f"/api/recipes/{recipe['id']}/export?format=jsonld")["content"])
        self.assertEqual([s["text"] for s in sent["recipeInstructions"]], ["Stir.", "Bake for 1 hour."])
        own = self.get(f"/api/recipes/{recipe['id']}/export?format=json")["content"]
        back = self.post("/api/import", {"name": "fig.json", "content": own})["recipe_id"]
        self.assertEqual(self.get(f"/api/recipes/{back}")["method"], changed)

    def test_the_oven_of_the_method_is_the_one_that_a_plan_speaks_of(self) -> None:
        recipe = self.post("/api/recipes", RECIPE | {"lines": [*LINES, {"ingredient": "butter", "grams": 90.0}]})
        wish = {"path": "unrefined", "including": ["honey"], "families": {"": "butter_cake"}}
        path = f"/api/recipes/{recipe['id']}"
        self.assertIn("155 °C", " ".join(self.post(f"{path}/rework", wish)["advice"]))
        self.patch(path, {"revision": 1, "method": {"oven": {"temperature_c": 190, "is_fan": False}}})
        self.assertIn("175 °C", " ".join(self.post(f"{path}/rework", wish)["advice"]))

    def test_a_method_that_cannot_be_one_is_refused_by_its_field(self) -> None:
        recipe = self.post("/api/recipes", RECIPE)
        for method, field in (
            ({"oven": {"temperature_c": 900}}, "method.oven.temperature_c"),
            ({"bake_minutes": [5]}, "method.bake_minutes"),
            ({"steps": [{"text": ""}]}, "method.steps.0.text"),
        ):
            body = {"revision": 1, "method": method}
            error = self.patch(f"/api/recipes/{recipe['id']}", body, 422)["error"]
            self.assertEqual(error["field"], field)

    def test_what_an_earlier_release_kept_is_read_once_at_the_start(self) -> None:
        with tempfile.TemporaryDirectory() as name:
            path = Path(name) / "old.db"
            create_app(path).extensions["database"].close()
            with sqlite3.connect(path) as connection:
                connection.execute(
                    "INSERT INTO recipes (id, title, source_text, cup, revision, created_at) VALUES "
                    "(1, 'Fig loaf', ?, 'us', 1, '2026-01-02')",
                    (TEXT,),
                )
            for text in ("", "changed behind its back"):
                create_app(path).extensions["database"].close()
                with sqlite3.connect(path) as connection:
                    (kept,) = connection.execute("SELECT method FROM recipes").fetchone()
                    self.assertEqual(json.loads(kept)["bake_minutes"], [40, 45])
                    connection.execute("UPDATE recipes SET source_text = ?", (text,))
