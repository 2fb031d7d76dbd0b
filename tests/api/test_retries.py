"""One rule for retries: the same key and content once, another content a conflict, nothing said to be kept that isn't."""

from __future__ import annotations

import json
import threading
from typing import Any

from tests.support import WithApplication

DAY = "2026-03-09"
LINES = [{"ingredient": "white_sugar", "grams": 100.0}, {"ingredient": "plain_flour", "grams": 100.0}]
LABEL = {"name": "Corner oat spread", "like": "peanut_butter", "fat_g": 42.0}


class Retries(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        self.recipe = self.keep_cake()
        self.version = self.recipe["versions"][0]["id"]
        self.bake = self.bakes("first")[0]

    def bakes(self, key: str, status: int = 200) -> Any:
        body = {"version_id": self.version, "baked_on": DAY, "client_key": key}
        answer = self.post("/api/bakes", body, status)
        return answer["bakes"] if status == 200 else answer["error"]

    def requests(self) -> dict[str, tuple[str, dict[str, Any], dict[str, Any]]]:
        """Return each POST that makes something: its path, a body, and what makes it another request."""
        own = self.get(f"/api/recipes/{self.recipe['id']}/export?format=json")["content"]
        return {
            "recipe": ("/api/recipes", {"title": "Fig cake", "servings": 8, "lines": LINES}, {"title": "Date cake"}),
            "version": (f"/api/recipes/{self.recipe['id']}/versions", {"path": "less"}, {"path": "blend"}),
            "bake": ("/api/bakes", {"version_id": self.version, "baked_on": DAY}, {"baked_on": "2026-03-08"}),
            "serving": ("/api/servings", {"bake_id": self.bake["id"], "eaten_on": DAY, "count": 1}, {"count": 2}),
            "product": ("/api/products", LABEL, {"fat_g": 40.0}),
            "import": (
                "/api/import",
                {"name": "x.json", "content": own},
                {"content": own.replace("semolina cake", "cake")},
            ),
        }

    def test_the_same_key_and_content_is_told_what_the_first_one_made(self) -> None:
        for what, (path, body, _) in self.requests().items():
            with self.subTest(what):
                keyed = body | {"client_key": f"key of a {what}"}
                self.assertEqual(self.post(path, keyed), self.post(path, keyed))
                if what != "version":  # both are told the recipe with all its versions
                    other = self.post(path, body | {"client_key": f"another {what}"})
                    self.assertNotEqual(other, self.post(path, keyed))

    def test_the_same_key_with_other_content_is_a_conflict_and_keeps_nothing(self) -> None:
        for what, (path, body, change) in self.requests().items():
            with self.subTest(what):
                first = self.post(path, body | {"client_key": f"a {what}"})
                error = self.post(path, body | change | {"client_key": f"a {what}"}, 409)["error"]
                self.assertEqual((error["code"], error["field"]), ("conflict", "client_key"))
                self.assertEqual(self.post(path, body | {"client_key": f"a {what}"}), first)

    def test_a_key_used_for_one_thing_is_no_key_for_another(self) -> None:
        other = self.post("/api/recipes", {"title": "Fig cake", "servings": 8, "lines": LINES})["id"]
        self.post(f"/api/recipes/{self.recipe['id']}/versions", {"path": "less", "client_key": "k"})
        self.post(f"/api/recipes/{other}/versions", {"path": "less", "client_key": "k"}, 409)
        self.assertEqual(len(self.get(f"/api/recipes/{other}")["versions"]), 1)
        self.post("/api/products", LABEL | {"client_key": "k"}, 409)

    def test_what_was_taken_away_is_not_said_to_be_kept(self) -> None:
        serving = {"bake_id": self.bake["id"], "eaten_on": DAY, "count": 1, "client_key": "s"}
        first = self.post("/api/servings", serving)
        self.delete(f"/api/servings/{first['id']}")
        self.assertIn("taken away", self.post("/api/servings", serving, 409)["error"]["message"])
        self.post(f"/api/servings/{first['id']}/restore")
        self.assertEqual(self.post("/api/servings", serving)["id"], first["id"])
        kept = self.post("/api/recipes", {"title": "Fig", "servings": 8, "lines": LINES, "client_key": "r"})
        self.delete(f"/api/recipes/{kept['id']}")
        self.post("/api/recipes", {"title": "Fig", "servings": 8, "lines": LINES, "client_key": "r"}, 409)
        key = self.post("/api/products", LABEL | {"client_key": "p"})["ingredient"]["key"]
        self.delete(f"/api/products/{key}")
        self.post("/api/products", LABEL | {"client_key": "p"}, 409)

    def test_keys_are_no_patterns(self) -> None:
        self.assertEqual(self.bakes("abc")[0]["id"], self.bakes("abc")[0]["id"])
        numbers = {self.bakes(key)[0]["id"] for key in ("abc", "a_c", "%", "a%", "abc/", "abc/0", "_")}
        self.assertEqual(len(numbers), 7)

    def test_an_empty_key_is_refused_by_name(self) -> None:
        for what, (path, body, _) in self.requests().items():
            with self.subTest(what):
                self.assertEqual(self.post(path, body | {"client_key": ""}, 422)["error"]["field"], "client_key")

    def test_two_at_the_same_moment_make_one(self) -> None:
        found: list[int] = []
        body = {"title": "Fig cake", "servings": 8, "lines": LINES, "client_key": "at once"}

        def send() -> None:
            found.append(json.loads(self.app.test_client().post("/api/recipes", json=body).get_data())["id"])

        threads = [threading.Thread(target=send) for _ in range(4)]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
        self.assertEqual((len(found), len(set(found))), (4, 1))


class Preferences(WithApplication):
    def test_null_is_no_value_and_changes_nothing(self) -> None:
        for change in ({"prices": None}, {"diets": None}, {"daily_limit_g": None}):
            with self.subTest(change):
                self.assertEqual(self.patch("/api/settings", change, 422)["error"]["field"], next(iter(change)))
        self.assertEqual(self.get("/api/settings")["daily_limit_g"], 25)
        self.assertIsNone(self.patch("/api/settings", {"cupboard": None})["cupboard"])

    def test_prices_of_two_tabs_are_both_kept_and_null_takes_one_away(self) -> None:
        self.patch("/api/settings", {"prices": {"honey": 10.0}})
        self.assertEqual(self.patch("/api/settings", {"prices": {"butter": 8.0}})["prices"], {"honey": 10, "butter": 8})
        self.assertEqual(self.patch("/api/settings", {"prices": {"honey": None}})["prices"], {"butter": 8})
        self.assertEqual(self.patch("/api/settings", {})["prices"], {"butter": 8})

    def test_what_comes_out_is_checked_whole(self) -> None:
        for start in (0, 300):
            prices = {f"food_{n}": 1.0 for n in range(start, start + 300)}
            answer = self.client.patch("/api/settings", json={"prices": prices})
        self.assertEqual((answer.status_code, answer.get_json()["error"]["field"]), (422, "prices"))
        self.assertEqual(len(self.get("/api/settings")["prices"]), 300)

    def test_a_change_of_a_recipe_to_null_is_refused_by_name(self) -> None:
        recipe = self.keep_cake()
        for field in ("title", "servings", "unit", "lines", "portions", "own_yields"):
            with self.subTest(field):
                body = {"revision": recipe["revision"], field: None}
                self.assertEqual(self.patch(f"/api/recipes/{recipe['id']}", body, 422)["error"]["field"], field)


class OncesThatBrokeIt(WithApplication):
    """Requests that each were answered by a 500 once."""

    def test_the_same_food_set_in_two_components(self) -> None:
        text = "Loaf\nMakes 8 slices\nFor the loaf:\n200 g flour\n150 g sugar\n2 eggs\nFor the top:\n40 g icing sugar\n100 g cream cheese"
        recipe = self.keep_cake(text)
        amounts = [{"component": c, "ingredient": "honey", "grams": g} for c, g in (("loaf", 30.0), ("top", 10.0))]
        plan = self.post(f"/api/recipes/{recipe['id']}/rework", {"path": "blend", "amounts": amounts})
        set_to = {x["component"]: x["after_g"] for x in plan["lines"] if x["ingredient"] == "honey"}
        self.assertEqual(set_to, {"loaf": 30.0, "top": 10.0})
        twice = self.post(f"/api/recipes/{recipe['id']}/rework", {"amounts": [amounts[0], amounts[0]]}, 422)["error"]
        self.assertEqual(twice["field"], "amounts")

    def test_numbers_that_no_row_can_have(self) -> None:
        recipe = self.keep_cake()
        for number in (2**63 - 1, 2**63, 10**30):
            with self.subTest(number):
                self.get(f"/api/recipes/{number}", 404)
                self.delete(f"/api/servings/{number}", 404)
                status = 404 if number < 2**63 else 422
                self.post("/api/bakes", {"version_id": number, "baked_on": DAY}, status)
                self.post("/api/servings", {"bake_id": number, "eaten_on": DAY, "count": 1}, status)
                self.get(f"/api/recipes/{recipe['id']}/export?format=csv&version={number}", status)
                self.patch(
                    f"/api/recipes/{recipe['id']}", {"revision": number, "title": "x"}, 409 if status == 404 else 422
                )

    def test_superscripts_are_no_digits(self) -> None:
        recipe = self.keep_cake()["id"]
        self.delete("/api/products/own_²", 404)
        self.assertEqual(self.get(f"/api/recipes/{recipe}/export?version=²", 422)["error"]["field"], "version")
        self.assertEqual(self.get(f"/api/recipes/{recipe}/difference?first=²&second=1", 422)["error"]["field"], "first")
        self.assertEqual(self.get("/api/recipes?start=²", 422)["error"]["field"], "start")

    def test_days_at_the_edge_of_time(self) -> None:
        for query, field in (
            ("until=0001-01-01", "until"),
            ("since=0001-01-01", "since"),
            ("until=9999-12-31", "until"),
        ):
            with self.subTest(query):
                self.assertEqual(self.get(f"/api/ledger?{query}", 422)["error"]["field"], field)
        version = self.keep_cake()["versions"][0]["id"]
        self.assertEqual(
            self.post("/api/bakes", {"version_id": version, "baked_on": "0001-01-01"}, 422)["error"]["field"],
            "baked_on",
        )

    def test_paths_that_no_file_has(self) -> None:
        for path in ("/" + "x" * 300 + ".js", "/a%00.b", "/..%2f..%2fetc/passwd.x", "/assets/" + "y" * 300):
            with self.subTest(path):
                self.assertIn(self.client.get(path).status_code, (200, 404))

    def test_halves_of_characters_and_numbers_that_are_none(self) -> None:
        raw = '{"title": "\\ud800", "servings": 8, "lines": [{"ingredient": "honey", "grams": 1}]}'
        self.assertEqual(self.client.post("/api/recipes", data=raw, content_type="application/json").status_code, 422)
        for word in ("NaN", "Infinity", "-Infinity", "1e999"):
            for path, raw in (
                ("/api/servings", f'{{"bake_id": 1, "eaten_on": "{DAY}", "count": {word}}}'),
                ("/api/recipes/1/rework", f'{{"cut": {word}}}'),
                ("/api/labels", f'{{"name": "x", "like": "honey", "energy_kcal": {word}}}'),
            ):
                with self.subTest(path, word=word):
                    answer = self.client.post(path, data=raw, content_type="application/json")
                    self.assertEqual(answer.status_code, 422)
                    json.loads(answer.get_data(), parse_constant=self.fail)
        for query in ("sugar=nan", "sugar=inf", "batter=nan"):
            answer = self.client.get(f"/api/sweeteners?{query}")
            self.assertEqual(answer.status_code, 422)
            json.loads(answer.get_data(), parse_constant=self.fail)

    def test_a_recipe_with_a_text_too_long_to_read_goes_out_all_the_same(self) -> None:
        recipe = self.keep_cake()["id"]
        with self.database.engine.begin() as connection:
            connection.exec_driver_sql("UPDATE recipes SET source_text = ?", ("x " * 150_000,))
        for kind in ("html", "jsonld", "csv", "json"):
            self.get(f"/api/recipes/{recipe}/export?format={kind}")
