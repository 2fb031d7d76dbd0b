"""What the door tells of a reading: roles, portions, what is left out; pages pasted whole; the command line's contract."""

from __future__ import annotations

import contextlib
import io
import json
import tempfile
from pathlib import Path
from typing import Any

from sun_crumb import cli
from tests.support import WithApplication

TEXT = "Fig bake\nMakes 1 loaf, 14 slices\n\n200 g flour\n100 g sugar\n2 tsp frobnicated essence\n\nMethod\nBake at 180 °C."
PAGE = (
    "<!doctype html><html><body><nav>Menu</nav><script type='application/ld+json'>"
    + json.dumps(
        {
            "@context": "https://schema.org",
            "@type": "Recipe",
            "name": "Fig bake",
            "recipeYield": "12 squares",
            "recipeIngredient": ["200 g flour", "100 g sugar"],
            "recipeInstructions": "Bake at 180 C.",
        }
    )
    + "</script></body></html>"
)


class Told(WithApplication):
    def test_roles_portions_and_what_is_left_out(self) -> None:
        read = self.post("/api/read", {"text": TEXT})
        self.assertEqual("\n".join(line["text"] for line in read["text_lines"]), TEXT)
        self.assertEqual(
            [line["role"] for line in read["text_lines"]],
            ["title", "portions", None, "food", "food", "food", None, "heading", "step"],
        )
        told = read["portions"]
        self.assertEqual(
            (told["count"], told["unit"], told["whole"], told["is_assumed"]), (14, "slice", "1 loaf", False)
        )
        self.assertEqual(read["yield"], {"count": 14, "unit": "slice"})
        (out,) = read["left_out"]
        self.assertEqual((out["text"], bool(out["why"])), ("2 tsp frobnicated essence", True))
        self.assertEqual(read["lines"][out["position"]]["text"], out["text"])
        self.assertAlmostEqual(read["analysis"]["batch"]["mass_g"], 300)

    def test_the_bakers_word_on_a_line_stands(self) -> None:
        read = self.post("/api/read", {"text": TEXT, "roles": {"4": "note"}})
        self.assertEqual(read["text_lines"][4]["role"], "note")
        self.assertAlmostEqual(read["analysis"]["batch"]["mass_g"], 200)
        error = self.post("/api/read", {"text": TEXT, "roles": {"4": "nonsense"}}, 422)["error"]
        self.assertEqual(error["code"], "invalid_request")

    def test_the_kind_of_dessert_is_asked_with_the_oven_in_mind(self) -> None:
        foods = {"puff_pastry": 250.0, "apple": 980.0, "white_sugar": 120.0, "butter": 60.0}
        body = {
            "lines": [
                {"ingredient": key, "grams": grams, "text": f"{grams:.0f} g {key}"} for key, grams in foods.items()
            ],
            "servings": 6,
            "title": "Tarte Tatin",
            "method": "Serves 6. 190C 30-35 mins",
        }
        cold = self.post("/api/check", body)["components"][0]["candidates"]
        hot = self.post("/api/check", body | {"oven": {"temperature_c": 190}})["components"][0]["candidates"]
        self.assertIn("sorbet", [family["key"] for family in cold])
        self.assertFalse({"sorbet", "frozen"} & {family["key"] for family in hot})
        error = self.post("/api/check", body | {"oven": {"temperature_c": 4000}}, 422)["error"]
        self.assertIn("oven", error["field"])

    def test_a_food_is_told_by_its_name_and_by_its_key(self) -> None:
        line = self.post("/api/read", {"text": "Loaf\n200 g flour\n2 green bananas"})["lines"][-1]
        self.assertEqual((line["ingredient"], line["food"]), ("banana_green", "green banana"))

    def test_a_whole_page_is_read_as_the_recipe_it_holds(self) -> None:
        read = self.post("/api/read", {"text": PAGE})
        self.assertIn("200 g flour", read["source"])
        self.assertEqual((read["title"], read["portions"]["count"]), ("Fig bake", 12))
        self.assertEqual(
            [x["ingredient"] for x in read["lines"] if x["status"] == "ok"], ["plain_flour", "white_sugar"]
        )
        self.assertEqual(self.post("/api/read", {"text": TEXT})["source"], "")


class Printed(WithApplication):
    def run_on(self, text: str) -> tuple[int, Any]:
        with tempfile.TemporaryDirectory() as name:
            path = Path(name) / "recipe.txt"
            path.write_text(text, encoding="utf-8")
            out, err = io.StringIO(), io.StringIO()
            with contextlib.redirect_stdout(out), contextlib.redirect_stderr(err):
                code = cli.main(["read", str(path)])
            return code, json.loads(out.getvalue() or err.getvalue())

    def test_read_gives_roles_portions_and_what_is_left_out(self) -> None:
        code, read = self.run_on(TEXT)
        self.assertEqual(code, 0)
        self.assertEqual({line["role"] for line in read["lines"]}, {"portions", "food", "heading", "step"})
        self.assertEqual(set(read["portions"]), {"count", "low", "high", "unit", "whole", "is_assumed", "text"})
        self.assertLessEqual({"text", "why"}, set(read["left_out"][0]))

    def test_a_text_without_any_food_is_an_error(self) -> None:
        code, answer = self.run_on("My holiday\nWe went to the sea and it was lovely.")
        self.assertEqual((code, answer["error"]["code"]), (2, "empty_recipe"))
