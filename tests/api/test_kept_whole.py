"""What comes in from a file passes the checks of what is typed; a row that is damaged all the same takes no other with it."""

from __future__ import annotations

import json
import sqlite3
from copy import deepcopy
from typing import Any, ClassVar

from sun_crumb.core.reading.reader import MOST_CHARACTERS
from tests.support import CAKE, WithApplication

SPREAD = {"name": "Corner oat spread", "like": "peanut_butter", "energy_kcal": 560.0, "fat_g": 42.0, "sugars_g": 18.0}


class OwnFiles(WithApplication):
    OWN: ClassVar[dict[str, Any]] = {
        "format": "sun-crumb-recipe",
        "version": 1,
        "title": "Fig cake",
        "cup": "us",
        "source_text": "",
        "products": [
            {"key": "own_7", "label": {k: v for k, v in SPREAD.items() if k != "like"}, "like": "peanut_butter"}
        ],
        "versions": [
            {
                "label": "Original",
                "servings": 8,
                "unit": "slice",
                "lines": [
                    {"ingredient": "white_sugar", "grams": 100.0, "component": "cake"},
                    {"ingredient": "plain_flour", "grams": 120.0, "component": "cake"},
                    {"ingredient": "own_7", "grams": 30.0, "component": "top"},
                ],
                "portions": [{"name": "", "count": 8, "components": ["cake", "top"]}],
                "own_yields": {"top": 16},
            },
            {
                "label": "Half",
                "status": "balanced",
                "servings": 8,
                "unit": "slice",
                "goals": {
                    "path": "blend",
                    "cut": 0.5,
                    "cupboard": ["honey", "own_7"],
                    "amounts": [{"component": "cake", "ingredient": "own_7", "grams": 20.0}],
                },
                "lines": [
                    {"ingredient": "white_sugar", "grams": 50.0, "reason": "cut"},
                    {"ingredient": "own_7", "grams": 30.0},
                ],
            },
        ],
    }

    def bring(self, own: Any, status: int = 200) -> Any:
        return self.post(
            "/api/import", {"name": "own.json", "content": own if isinstance(own, str) else json.dumps(own)}, status
        )

    def changed(self, *path: Any, to: Any) -> dict[str, Any]:
        """Return a good file with one value changed."""
        own = deepcopy(self.OWN)
        *way, last = path
        inside: Any = own
        for key in way:
            inside = inside[key]
        inside[last] = to
        return own

    def counts(self) -> tuple[int, int]:
        with sqlite3.connect(self.database.path) as connection:
            return tuple(connection.execute(f"SELECT count(*) FROM {t}").fetchone()[0] for t in ("recipes", "products"))  # type: ignore[return-value]

    def test_a_file_with_anything_wrong_in_any_version_leaves_nothing_behind(self) -> None:
        self.keep_cake()
        before = self.counts()
        for name, own in {
            "no portions": self.changed("versions", 0, "servings", to=0),
            "no portions in the second": self.changed("versions", 1, "servings", to=0),
            "a wish for nothing known": self.changed("versions", 1, "goals", to={"path": "sideways"}),
            "a wish out of range": self.changed("versions", 1, "goals", "cut", to=7),
            "a wish that is a list": self.changed("versions", 1, "goals", to=[]),
            "a wish with a slip": self.changed("versions", 1, "goals", to={"paht": "blend"}),
            "kinds that don't add up": self.changed("versions", 0, "portions", 0, "count", to=3),
            "kinds of nothing": self.changed(
                "versions", 1, "portions", to=[{"name": "x", "count": 8, "components": ["moon"]}]
            ),
            "kinds that are a word": self.changed("versions", 1, "portions", to="x"),
            "a yield of none": self.changed("versions", 0, "own_yields", to={"top": 0}),
            "yields that are a list": self.changed("versions", 1, "own_yields", to=[1]),
            "no lines in the second": self.changed("versions", 1, "lines", to=[]),
            "a food that isn't there": self.changed("versions", 1, "lines", 0, "ingredient", to="moon_dust"),
            "a product nobody describes": self.changed("versions", 1, "lines", 0, "ingredient", to="own_8"),
            "a wish for a product nobody describes": self.changed("versions", 1, "goals", "cupboard", to=["own_8"]),
            "a product that can't be": self.changed("products", 0, "label", "fat_g", to=400),
            "a product with a key of the pantry's": self.changed("products", 0, "key", to="honey"),
            "a product twice": self.changed("products", to=[*self.OWN["products"], *self.OWN["products"]]),
            "more than there is": self.changed("versions", 1, "lines", 0, "grams", to=1e9),
            "no number": self.changed("versions", 1, "lines", 0, "grams", to=float("nan")),
            "crushed or not": self.changed("versions", 0, "lines", 0, "is_crushed", to="x"),
            "half a character": self.changed("title", to="\ud800"),
            "a source too long to read": self.changed("source_text", to="x" * (MOST_CHARACTERS + 1)),
            "no status known": self.changed("versions", 1, "status", to="splendid"),
            "a cup unknown": self.changed("cup", to="mug"),
            "a slip": self.changed("tilte", to="x"),
            "weights of nothing": self.changed("versions", 1, "lines", to=[{"ingredient": "honey", "grams": 0}]),
        }.items():
            with self.subTest(name):
                error = self.bring(own, 422)["error"]
                self.assertTrue(error["field"])
                self.assertEqual(self.counts(), before)
                self.assertEqual(self.get("/api/recipes")["total"], 1)

    def test_a_good_file_is_kept_with_its_products_under_this_households_keys(self) -> None:
        self.post("/api/products", SPREAD | {"name": "Another thing"})
        number = self.bring(self.OWN)["recipe_id"]
        recipe = self.get(f"/api/recipes/{number}")
        original, half = recipe["versions"]
        key = original["lines"][2]["ingredient"]
        self.assertEqual((key, original["lines"][2]["name"]), ("own_2", "Corner oat spread"))
        self.assertEqual(half["goals"]["cupboard"], ["honey", key])
        self.assertEqual(half["goals"]["amounts"], [{"component": "cake", "ingredient": key, "grams": 20.0}])
        self.assertEqual((half["label"], half["lines"][0]["reason"]), ("Half", "cut"))
        own = json.loads(self.get(f"/api/recipes/{number}/export?format=json")["content"])
        self.assertEqual([p["key"] for p in own["products"]], [key])
        self.assertEqual(self.bring(own)["recipe_id"], number + 1)
        self.assertEqual(self.counts(), (2, 2))

    def test_a_number_written_as_text_on_a_pack_is_that_number(self) -> None:
        number = self.bring(self.changed("products", 0, "label", "cup_g", to="9"))["recipe_id"]
        key = self.get(f"/api/recipes/{number}")["versions"][0]["lines"][2]["ingredient"]
        measures = {m["unit"]: m["grams"] for m in self.get(f"/api/pantry/{key}")["measures"]}
        self.assertEqual(measures["cup"], 9)

    def test_a_product_that_only_a_wish_names_travels_too(self) -> None:
        key = self.post("/api/products", SPREAD)["ingredient"]["key"]
        recipe = self.keep_cake()
        self.post(f"/api/recipes/{recipe['id']}/versions", {"path": "less", "without": [key]})
        own = json.loads(self.get(f"/api/recipes/{recipe['id']}/export?format=json")["content"])
        self.assertEqual([p["key"] for p in own["products"]], [key])

    def test_a_newer_or_foreign_file_is_told_apart(self) -> None:
        self.assertIn("newer", self.bring(self.OWN | {"version": 2}, 422)["error"]["message"])
        backup = self.get("/api/backup")["content"]
        self.assertIn("whole household", self.bring(backup, 422)["error"]["message"])


class Damaged(WithApplication):
    def damage(self, sql: str) -> None:
        with sqlite3.connect(self.database.path) as connection:
            connection.execute(sql)

    def setUp(self) -> None:
        super().setUp()
        self.good = self.keep_cake()["id"]
        self.bad = self.keep_cake(CAKE.replace("Orange", "Lemon"))["id"]
        self.post(f"/api/recipes/{self.bad}/versions", {"path": "less", "label": "A third less"})

    def test_a_damaged_row_is_told_exported_as_it_is_and_put_away(self) -> None:
        for sql in (
            f"UPDATE versions SET servings = 0 WHERE recipe_id = {self.bad}",
            f"UPDATE versions SET goals = '{{\"path\": 7}}' WHERE recipe_id = {self.bad} AND number = 2",
            f'UPDATE versions SET goals = \'{{"amounts": [7], "cupboard": 3}}\' WHERE recipe_id = {self.bad} AND number = 2',
            f"UPDATE versions SET goals = 'no json' WHERE recipe_id = {self.bad} AND number = 2",
            f"UPDATE versions SET portions = '[{{}}]', own_yields = '[]' WHERE recipe_id = {self.bad} AND number = 2",
            f"DELETE FROM lines WHERE version_id IN (SELECT id FROM versions WHERE recipe_id = {self.bad} AND number = 2)",
            f"UPDATE lines SET ingredient = 'moon_dust' WHERE version_id IN (SELECT id FROM versions WHERE recipe_id = {self.bad})",
            f"DELETE FROM versions WHERE recipe_id = {self.bad}",
        ):
            self.damage(sql)
            with self.subTest(sql):
                rows = {row["id"]: row for row in self.get("/api/recipes")["recipes"]}
                self.assertEqual((rows[self.good]["damage"], len(rows[self.good]["versions"])), ("", 1))
                self.assertTrue(rows[self.bad]["damage"])
                self.assertEqual(rows[self.bad]["title"], "Lemon semolina cake")
                error = self.get(f"/api/recipes/{self.bad}", 422)["error"]
                self.assertEqual(error["code"], "damaged")
                body = {"path": "less"}
                for way in ("rework", "paths", "versions"):
                    self.assertEqual(
                        self.client.post(f"/api/recipes/{self.bad}/{way}", json=body).status_code // 100 in (2, 4), True
                    )
                raw = json.loads(self.get(f"/api/recipes/{self.bad}/export?format=json")["content"])
                self.assertEqual(raw["title"], "Lemon semolina cake")
        self.delete(f"/api/recipes/{self.bad}")
        self.assertEqual([row["id"] for row in self.get("/api/recipes")["recipes"]], [self.good])
        self.assertEqual(self.post(f"/api/recipes/{self.bad}/restore")["title"], "Lemon semolina cake")

    def test_a_damaged_product_damages_only_what_holds_it(self) -> None:
        key = self.post("/api/products", SPREAD)["ingredient"]["key"]
        lines = [{"ingredient": key, "grams": 100.0}, {"ingredient": "white_sugar", "grams": 50.0}]
        held = self.post("/api/recipes", {"title": "Bars", "servings": 4, "lines": lines})["id"]
        self.damage('UPDATE products SET label = \'{"name": ""}\'')
        self.get(f"/api/recipes/{self.good}")
        self.assertEqual(self.get(f"/api/recipes/{held}", 422)["error"]["code"], "damaged")
        damage = {row["id"]: bool(row["damage"]) for row in self.get("/api/recipes")["recipes"]}
        self.assertEqual(damage, {self.good: False, self.bad: False, held: True})
        self.get("/api/pantry")
        self.get("/api/choices")

    def test_preferences_that_cannot_be_are_the_usual_ones(self) -> None:
        self.patch("/api/settings", {"daily_limit_g": 30})
        self.damage("INSERT INTO settings VALUES ('prices', 'null'), ('diets', '7')")
        found = self.get("/api/settings")
        self.assertEqual((found["daily_limit_g"], found["prices"], found["diets"]), (30, {}, []))
        self.assertEqual(self.patch("/api/settings", {"prices": {"honey": 9}})["prices"], {"honey": 9})

    def test_figures_of_a_changed_row_are_never_the_old_ones(self) -> None:
        self.damage(f"UPDATE lines SET grams = grams * 2 WHERE ingredient = 'white_sugar' AND version_id = {self.good}")
        row = next(r for r in self.get("/api/recipes")["recipes"] if r["id"] == self.good)
        full = self.get(f"/api/recipes/{self.good}")["versions"][0]["per_serving"]
        self.assertEqual(row["versions"][0]["per_serving"]["free_sugars_who_g"], full["free_sugars_who_g"])
        self.assertAlmostEqual(full["free_sugars_who_g"], 400 * 0.998 / 16, delta=0.2)
