"""Any two desserts compared through the real application."""

from __future__ import annotations

from tests.support import WithApplication


class Compare(WithApplication):
    def test_versions_recipes_and_bought_foods(self) -> None:
        recipe = self.keep_cake()["id"]
        versions = self.post(f"/api/recipes/{recipe}/versions", {"path": "blend", "cut": 0.5})["versions"]
        body = {"first": {"recipe_id": recipe, "version_id": versions[0]["id"]}, "second": {"recipe_id": recipe}}
        found = self.post("/api/compare", body)
        per = versions[0]["per_serving"]
        self.assertAlmostEqual(found["first"]["portion"]["free_sugars_who_g"], per["free_sugars_who_g"], delta=0.02)
        self.assertLess(found["grams"], 0)
        self.assertIn("less free sugar in a portion of the second", found["words"])
        self.assertTrue(found["first_lasts"]["keeping"])
        self.assertEqual(found["first_lasts"]["hands_on_min"], found["second_lasts"]["hands_on_min"])
        self.assertAlmostEqual(sum(part["grams"] for part in found["by_part"]), found["grams"], delta=0.02)
        bought = self.post(
            "/api/compare",
            body | {"second": {"food": "digestive_biscuit"}, "portion_g": 30, "definition": "total_sugars_g"},
        )
        self.assertAlmostEqual(bought["second"]["portion"]["total_sugars_g"], 0.3 * 24.85, delta=0.02)

    def test_what_is_not_there_is_named(self) -> None:
        recipe = self.keep_cake()["id"]
        first = {"recipe_id": recipe}
        for second, status, field in (
            ({"recipe_id": 99}, 404, "second.recipe_id"),
            ({"recipe_id": recipe, "version_id": 99}, 404, "second.version_id"),
            ({}, 422, "second"),
            ({"food": "gravel"}, 422, "ingredient"),
        ):
            error = self.post("/api/compare", {"first": first, "second": second}, status)["error"]
            with self.subTest(second):
                self.assertEqual(error["field"], field)
        self.assertEqual(
            self.post("/api/compare", {"first": first, "second": first, "portion_g": 0}, 422)["error"]["field"],
            "portion_g",
        )
        self.assertEqual(
            self.post("/api/compare", {"first": first, "second": first, "definition": "x"}, 422)["error"]["field"],
            "definition",
        )
