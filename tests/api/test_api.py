"""The API through the real application and a real SQLite file."""

from __future__ import annotations

import json
from datetime import date, timedelta
from pathlib import Path

from hypothesis import given, settings
from hypothesis import strategies as st

from sun_crumb.api.contract import ENDPOINTS, openapi
from tests.support import CAKE, WithApplication

DAY = date(2026, 3, 9)


class Story(WithApplication):
    def test_paste_cut_keep_bake_eat_read_what_was_saved(self) -> None:
        recipe = self.keep_cake()
        self.assertEqual((recipe["title"], recipe["versions"][0]["servings"]), ("Orange semolina cake", 16))
        goals = {
            "path": "blend",
            "cut": 0.5,
            "keep_sweet": 0.9,
            "cupboard": ["honey", "dates"],
            "definition": "refined_sugar_g",
        }
        plan = self.post(f"/api/recipes/{recipe['id']}/rework", goals)
        self.assertEqual(plan["status"], "balanced")
        before, after = plan["before"]["per_serving"], plan["after"]["per_serving"]
        self.assertLess(after["free_sugars_who_g"], before["free_sugars_who_g"])
        kept = self.post(f"/api/recipes/{recipe['id']}/versions", goals | {"label": "For Sunday"})
        version = kept["versions"][1]
        self.assertEqual((version["label"], version["goals"]["cupboard"]), ("For Sunday", ["honey", "date_paste"]))
        self.assertAlmostEqual(version["per_serving"]["free_sugars_who_g"], after["free_sugars_who_g"], delta=0.03)
        bake = self.post("/api/bakes", {"version_id": version["id"], "baked_on": DAY.isoformat()})["bakes"][0]
        self.post("/api/servings", {"bake_id": bake["id"], "eaten_on": DAY.isoformat(), "count": 2, "who": "Ada"})
        ledger = self.get(f"/api/ledger?since={DAY}&until={DAY + timedelta(days=6)}")
        self.assertEqual((ledger["total"]["servings"], len(ledger["days"])), (2, 1))
        saved = plan["savings_per_serving"]["free_sugars_who_g"]
        self.assertGreater(saved, 0)
        self.assertAlmostEqual(ledger["total"]["saved_free_sugars_who_g"], 2 * saved, delta=0.05)
        self.assertAlmostEqual(ledger["total"]["free_sugars_who_g"], 2 * after["free_sugars_who_g"], delta=0.05)

    def test_eating_the_original_saves_nothing(self) -> None:
        recipe = self.keep_cake()
        bake = self.post("/api/bakes", {"version_id": recipe["versions"][0]["id"], "baked_on": DAY.isoformat()})[
            "bakes"
        ][0]
        self.post("/api/servings", {"bake_id": bake["id"], "eaten_on": DAY.isoformat(), "count": 3})
        total = self.get(f"/api/ledger?since={DAY}&until={DAY}")["total"]
        self.assertEqual((total["servings"], total["saved_free_sugars_who_g"]), (3, 0))
        self.assertGreater(total["free_sugars_who_g"], 30)


class NothingLost(WithApplication):
    def test_retries_make_one_of_each(self) -> None:
        recipe = self.keep_cake()
        version = recipe["versions"][0]["id"]
        bakes = [
            self.post("/api/bakes", {"version_id": version, "baked_on": DAY.isoformat(), "client_key": "b"})["bakes"][0]
            for _ in "ab"
        ]
        self.assertEqual(bakes[0]["id"], bakes[1]["id"])
        body = {"bake_id": bakes[0]["id"], "eaten_on": DAY.isoformat(), "count": 1, "client_key": "s"}
        self.assertEqual(self.post("/api/servings", body)["id"], self.post("/api/servings", body)["id"])
        goals = {"path": "less", "client_key": "v"}
        for _ in range(2):
            recipe = self.post(f"/api/recipes/{recipe['id']}/versions", goals)
        self.assertEqual(len(recipe["versions"]), 2)

    def test_a_second_editor_gets_a_conflict_with_what_is_stored(self) -> None:
        recipe = self.keep_cake()
        path = f"/api/recipes/{recipe['id']}"
        changed = self.patch(path, {"revision": recipe["revision"], "title": "Mine"})
        self.assertEqual(changed["title"], "Mine")
        error = self.patch(path, {"revision": recipe["revision"], "title": "Theirs"}, 409)["error"]
        self.assertEqual((error["code"], error["details"]["stored"]["title"]), ("conflict", "Mine"))
        self.assertEqual(self.get(path)["title"], "Mine")

    def test_servings_and_lines_of_a_recipe_can_change(self) -> None:
        recipe = self.keep_cake()
        lines = [{"ingredient": "white_sugar", "grams": 100}, {"ingredient": "plain_flour", "grams": 100}]
        body = {"revision": recipe["revision"], "servings": 12, "unit": "slice", "lines": lines}
        version = self.patch(f"/api/recipes/{recipe['id']}", body)["versions"][0]
        self.assertEqual((version["servings"], version["unit"], len(version["lines"])), (12, "slice", 2))

    def test_what_was_taken_away_comes_back(self) -> None:
        recipe = self.keep_cake()
        path = f"/api/recipes/{recipe['id']}"
        self.delete(path)
        self.get(path, 404)
        self.assertEqual(self.get("/api/recipes")["recipes"], [])
        self.assertEqual(self.post(f"{path}/restore")["title"], recipe["title"])
        bake = self.post("/api/bakes", {"version_id": recipe["versions"][0]["id"], "baked_on": DAY.isoformat()})[
            "bakes"
        ][0]
        serving = self.post("/api/servings", {"bake_id": bake["id"], "eaten_on": DAY.isoformat(), "count": 1})
        ledger = f"/api/ledger?since={DAY}&until={DAY}"
        self.delete(f"/api/servings/{serving['id']}")
        self.assertEqual(self.get(ledger)["total"]["servings"], 0)
        self.post(f"/api/servings/{serving['id']}/restore")
        self.assertEqual(self.get(ledger)["total"]["servings"], 1)

    def test_planned_bakes_are_the_households_and_not_a_devices(self) -> None:
        bake = {
            "recipe": 1, "version": 2, "title": "Fig cake", "label": "Half",
            "serve": "2031-05-03T16:00", "start": "2031-05-03T13:20",
        }  # fmt: skip
        self.assertEqual(self.patch("/api/settings", {"planned": [bake]})["planned"], [bake])
        self.assertEqual(self.get("/api/settings")["planned"], [bake])
        for wrong in ({"serve": "tea time"}, {"recipe": "x"}, {"title": "x" * 300}):
            error = self.client.patch("/api/settings", json={"planned": [bake | wrong]})
            self.assertEqual(error.status_code, 422)
            self.assertIn("planned", error.get_json()["error"]["field"])
        self.assertEqual(self.get("/api/settings")["planned"], [bake])

    def test_preferences_stay(self) -> None:
        self.assertEqual(self.get("/api/settings")["daily_limit_g"], 25)
        self.patch("/api/settings", {"daily_limit_g": 30, "diets": ["vegan"]})
        found = self.get("/api/settings")
        self.assertEqual((found["daily_limit_g"], found["diets"]), (30, ["vegan"]))


class BadInput(WithApplication):
    def assertRefused(self, response: object, code: str, field: str | None) -> None:
        error = response["error"]  # type: ignore[index]
        self.assertEqual((error["code"], error["field"]), (code, field), error)
        self.assertTrue(error["message"])

    def test_reading(self) -> None:
        self.assertRefused(self.post("/api/read", {"text": ""}, 422), "empty_recipe", "text")
        self.assertRefused(self.post("/api/read", {}, 422), "invalid_request", "text")
        self.assertRefused(self.post("/api/read", {"text": "x", "colour": 1}, 422), "invalid_request", "colour")
        self.assertRefused(self.post("/api/read", {"text": "1 cup sugar\n" * 170_000}, 413), "text_too_long", "text")
        self.assertRefused(self.post("/api/read", {"text": "x" * 250_000}, 422), "invalid_request", "text")
        self.assertRefused(self.post("/api/read", {"text": "x", "cup": "mug"}, 422), "unknown_choice", "cup")
        self.assertEqual(self.client.post("/api/read", data="{", content_type="application/json").status_code, 422)
        self.assertEqual(self.client.post("/api/read", data="text").status_code, 422)

    def test_keeping(self) -> None:
        good = {"title": "x", "servings": 4, "lines": [{"ingredient": "white_sugar", "grams": 100}]}
        cases = (
            ({"servings": 0}, "invalid_request", "servings"),
            ({"lines": []}, "invalid_request", "lines"),
            ({"lines": [{"ingredient": "moon dust", "grams": 1}]}, "unknown_ingredient", "ingredient"),
            ({"lines": [{"ingredient": "honey", "grams": -1}]}, "invalid_request", "lines.0.grams"),
            ({"lines": [{"ingredient": "honey", "grams": 0}]}, "bad_input", "lines"),
            ({"cup": "mug"}, "unknown_choice", "cup"),
        )
        for change, code, field in cases:
            with self.subTest(change):
                self.assertRefused(self.post("/api/recipes", good | change, 422), code, field)
        self.assertEqual(self.get("/api/recipes")["recipes"], [])
        body = '{"title":"x","servings":4,"lines":[{"ingredient":"honey","grams":NaN}]}'
        self.assertEqual(self.client.post("/api/recipes", data=body, content_type="application/json").status_code, 422)

    def test_reworking(self) -> None:
        recipe = self.keep_cake()
        path = f"/api/recipes/{recipe['id']}/rework"
        cases = (
            ({"path": "magic"}, "unknown_choice", "path"),
            ({"cut": 3}, "out_of_domain", "cut"),
            ({"cupboard": ["xylophone"]}, "unknown_ingredient", "cupboard"),
            ({"locks": {"77": 5}}, "out_of_domain", "locks"),
        )
        for goals, code, field in cases:
            with self.subTest(goals):
                self.assertRefused(self.post(path, goals, 422), code, field)
        dry = self.keep_cake("Rusks\nMakes 9 rusks\n300 g flour\n100 g butter\n100 ml milk")
        self.assertRefused(self.post(f"/api/recipes/{dry['id']}/rework", {}, 422), "nothing_to_rework", "lines")
        self.assertRefused(self.post("/api/recipes/999/rework", {}, 404), "not_found", "id")

    def test_the_ledger(self) -> None:
        recipe = self.keep_cake()
        bake = self.post("/api/bakes", {"version_id": recipe["versions"][0]["id"], "baked_on": DAY.isoformat()})[
            "bakes"
        ][0]
        good = {"bake_id": bake["id"], "eaten_on": DAY.isoformat(), "count": 1}
        early = (DAY - timedelta(days=1)).isoformat()
        cases = (
            ({"count": 0}, "out_of_domain", "count", 422),
            ({"count": 1e6}, "out_of_domain", "count", 422),
            ({"eaten_on": early}, "out_of_domain", "eaten_on", 422),
            ({"eaten_on": "yesterday"}, "invalid_request", "eaten_on", 422),
            ({"bake_id": 999}, "not_found", "bake_id", 404),
        )
        for change, code, field, status in cases:
            with self.subTest(change):
                self.assertRefused(self.post("/api/servings", good | change, status), code, field)
        self.assertRefused(self.get("/api/ledger?since=soon", 422), "invalid_request", "since")
        self.assertRefused(self.get("/api/ledger?since=2026-05-02&until=2026-05-01", 422), "out_of_domain", "since")
        self.assertRefused(
            self.post("/api/bakes", {"version_id": 0, "baked_on": early}, 404), "not_found", "version_id"
        )

    @settings(max_examples=40, deadline=None)
    @given(
        st.sampled_from([e for e in ENDPOINTS if e.body]),
        st.recursive(
            st.none() | st.booleans() | st.floats() | st.integers() | st.text(max_size=12),
            lambda inner: st.lists(inner, max_size=3) | st.dictionaries(
                st.sampled_from(["text", "path", "cut", "lines", "grams", "locks", "count", "bake_id", "title"]), inner, max_size=4
            ),
            max_leaves=6,
        ),
    )  # fmt: skip
    def test_no_body_makes_a_server_error(self, endpoint: object, body: object) -> None:
        path = endpoint.path.replace("{recipe_id}", "1").replace("{serving_id}", "1")  # type: ignore[attr-defined]
        method = getattr(self.client, endpoint.method)  # type: ignore[attr-defined]
        response = method(path, data=json.dumps(body), content_type="application/json")
        self.assertLess(response.status_code, 500, response.get_data(as_text=True))


class Doors(WithApplication):
    def test_other_hosts_and_other_sites_are_refused(self) -> None:
        self.assertEqual(self.client.get("/api/health", headers={"Host": "evil.example"}).status_code, 403)
        headers = {"Origin": "http://evil.example"}
        self.assertEqual(self.client.post("/api/read", json={"text": "x"}, headers=headers).status_code, 403)
        headers = {"Origin": "http://localhost"}
        self.assertEqual(self.client.post("/api/read", json={"text": "1 egg"}, headers=headers).status_code, 200)

    def test_strict_headers_and_no_unknown_pages_of_the_api(self) -> None:
        response = self.client.get("/api/health")
        self.assertIn("script-src 'self';", response.headers["Content-Security-Policy"])
        self.assertEqual(response.headers["X-Content-Type-Options"], "nosniff")
        self.assertEqual(self.get("/api/nothing", 404)["error"]["code"], "not_found")

    def test_the_document_in_the_repository_is_the_one_served(self) -> None:
        document = json.loads((Path(__file__).parents[2] / "docs" / "openapi.json").read_text(encoding="utf-8"))
        self.assertEqual(document, json.loads(json.dumps(openapi())))
        for path, operations in document["paths"].items():
            for method, operation in operations.items():
                with self.subTest(path, method=method):
                    self.assertTrue(operation["summary"])
                    self.assertIn("200", operation["responses"])

    def test_the_pantry_is_found_by_its_household_names(self) -> None:
        for words, key in (
            ("bicarb", "baking_soda"),
            ("powdered sugar", "icing_sugar"),
            ("dahi", "yoghurt"),
            ("zucch", "courgette"),
        ):
            keys = [i["key"] for i in self.get(f"/api/pantry?q={words}")["ingredients"]]
            with self.subTest(words):
                self.assertIn(key, keys[:3])
        choices = self.get("/api/choices")
        self.assertEqual(len(choices["paths"]), 5)

    def test_analysis_of_typed_lines(self) -> None:
        lines = [{"ingredient": "honey", "grams": 100}, {"ingredient": "water", "grams": 100}]
        found = self.post("/api/analyse", {"lines": lines, "servings": 2})
        self.assertAlmostEqual(found["per_serving"]["free_sugars_who_g"], 41.06, places=2)
        self.assertIn("sugar", CAKE)
