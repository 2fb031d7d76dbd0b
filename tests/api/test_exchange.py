"""Products, portions and files through the API; exports read back with a library that we did not write."""

from __future__ import annotations

import csv
import io
import json
from typing import Any, ClassVar

from recipe_scrapers import scrape_html

from tests.support import CAKE, WithApplication

DAY = "2026-03-09"
LOAF = """Carrot loaf
Makes 8 slices
For the loaf:
200 g plain flour
150 g sugar
2 large eggs
100 ml neutral oil
1 cup grated carrots
For the frosting:
100 g cream cheese
40 g icing sugar
Method
Bake at 170 °C <b>slowly</b>.
"""
PAGE = """<!doctype html><html><head><title>x</title><script type="application/ld+json">
{"@context":"https://schema.org","@graph":[{"@type":"WebPage"},{"@type":["Recipe"],"name":"Pear &amp; oat bars","recipeYield":["12"],
"recipeIngredient":["1 cup rolled oats","2 ripe pears","1/3 cup (130 g) brown sugar","½ cup butter"],
"recipeInstructions":[{"@type":"HowToStep","text":"Heat the oven to 180 C."},{"@type":"HowToStep","text":"Bake for 25 minutes."}]}]}
</script></head><body><script>alert(1)</script><p>story</p></body></html>"""


class Files(WithApplication):
    def exported(self, recipe: dict[str, object], kind: str) -> str:
        return str(self.get(f"/api/recipes/{recipe['id']}/export?format={kind}")["content"])

    def test_an_exported_page_is_read_back_by_recipe_scrapers(self) -> None:
        recipe = self.keep_cake(LOAF)
        page = self.exported(recipe, "html")
        found = scrape_html(page, org_url="https://saved.invalid/page", supported_only=False)
        self.assertEqual(found.title(), "Carrot loaf")
        self.assertEqual(len(found.ingredients()), len(recipe["versions"][0]["lines"]))
        nutrients = found.nutrients()
        held = recipe["versions"][0]["per_serving"]
        self.assertEqual(nutrients["sugarContent"], f"{held['total_sugars_g']:.1f} g")
        self.assertEqual(nutrients["calories"], f"{held['energy_kcal']:.0f} kcal")
        # No HTML of a recipe is ever passed on.
        self.assertNotIn("<b>slowly", page)

    def test_a_saved_page_and_json_ld_become_text_for_the_reader(self) -> None:
        for name, content in (
            ("page.html", PAGE),
            ("recipe.jsonld", PAGE.split('">')[1].split("</script>")[0].strip()),
        ):
            text = self.post("/api/import", {"name": name, "content": content})["text"]
            with self.subTest(name):
                read = self.post("/api/read", {"text": text})
                self.assertEqual((read["title"], read["yield"]["count"]), ("Pear & oat bars", 12))
                status = {x["ingredient"]: x["status"] for x in read["lines"] if x["ingredient"]}
                self.assertEqual(
                    status, {"rolled_oats": "ok", "pear": "ok", "light_brown_sugar": "conflict", "butter": "ok"}
                )
                self.assertEqual(read["oven"]["temperature_c"], 180)

    def test_our_json_ld_comes_back_with_the_same_grams(self) -> None:
        recipe = self.keep_cake()
        text = self.post("/api/import", {"name": "x.jsonld", "content": self.exported(recipe, "jsonld")})["text"]
        read = self.post("/api/read", {"text": text})
        before = {x["ingredient"]: x["grams"] for x in recipe["versions"][0]["lines"]}
        after = {x["ingredient"]: x["grams"] for x in read["lines"] if x["ingredient"]}
        self.assertEqual(set(before), set(after))
        for key, grams in before.items():
            self.assertAlmostEqual(after[key], grams, delta=0.5)

    def test_csv_round_trip(self) -> None:
        recipe = self.keep_cake(LOAF)
        table = self.exported(recipe, "csv")
        rows = list(csv.DictReader(io.StringIO(table)))
        self.assertEqual(len(rows), len(recipe["versions"][0]["lines"]))
        text = self.post("/api/import", {"name": "carrot-loaf.csv", "content": table})["text"]
        read = self.post("/api/read", {"text": text})
        found = {(x["component"], x["ingredient"]): x["grams"] for x in read["lines"] if x["ingredient"]}
        for row in rows:
            self.assertAlmostEqual(found[row["component"], row["ingredient"]], float(row["grams"]), delta=0.1)

    def test_own_file_brings_back_every_version(self) -> None:
        recipe = self.keep_cake()
        self.post(f"/api/recipes/{recipe['id']}/versions", {"path": "fruit", "label": "Dates"})
        before = self.get(f"/api/recipes/{recipe['id']}")
        number = self.post("/api/import", {"name": "own.json", "content": self.exported(recipe, "json")})["recipe_id"]
        after = self.get(f"/api/recipes/{number}")
        self.assertNotEqual(number, recipe["id"])
        for old, new in zip(before["versions"], after["versions"], strict=True):
            for field in ("label", "status", "servings", "goals", "per_serving", "lines", "portions"):
                self.assertEqual(old[field], new[field], field)

    def test_own_yields_are_kept_and_travel(self) -> None:
        recipe = self.keep_cake(LOAF)
        version = recipe["versions"][0]
        whole = version["per_serving"]["mass_g"]
        changed = self.patch(
            f"/api/recipes/{recipe['id']}", {"revision": recipe["revision"], "own_yields": {"frosting": 16}}
        )
        self.assertEqual(changed["versions"][0]["own_yields"], {"frosting": 16})
        # Half of the 140 g of frosting is left over, an eighth of that is not in a slice.
        self.assertAlmostEqual(changed["versions"][0]["per_serving"]["mass_g"], whole - 140 / 16, delta=0.05)
        number = self.post("/api/import", {"name": "own.json", "content": self.exported(recipe, "json")})["recipe_id"]
        again = self.get(f"/api/recipes/{number}")
        self.assertEqual(again["versions"][0]["own_yields"], {"frosting": 16})
        answer = self.patch(
            f"/api/recipes/{recipe['id']}", {"revision": changed["revision"], "own_yields": {"frosting": 0}}, 422
        )
        self.assertIn("own_yields", answer["error"]["field"])

    def test_damaged_and_foreign_files_are_refused_and_change_nothing(self) -> None:
        own = json.loads(self.exported(self.keep_cake(), "json"))
        count = len(self.get("/api/recipes")["recipes"])
        files = {
            "empty.txt": " ",
            "cut.json": json.dumps(own)[:200],
            "foreign.json": '{"hello": 1}',
            "newer.json": json.dumps(own | {"version": 9}),
            "holes.json": json.dumps(own | {"versions": [{"servings": 3}]}),
            "no-versions.json": json.dumps(own | {"versions": []}),
            "no-recipe.html": "<html><body>hello</body></html>",
            "columns.csv": "a,b\n1,2\n",
        }
        for name, content in files.items():
            with self.subTest(name):
                error = self.post("/api/import", {"name": name, "content": content}, 422)["error"]
                self.assertIn(error["field"], ("content", "lines"))
        self.assertEqual(len(self.get("/api/recipes")["recipes"]), count)
        self.assertEqual(self.get("/api/recipes/1/export?format=pdf", 422)["error"]["field"], "format")


class PortionKinds(WithApplication):
    def test_plain_and_frosted_slices_are_baked_and_eaten_apart(self) -> None:
        recipe = self.keep_cake(LOAF)
        kinds = [
            {"name": "plain", "count": 5, "components": ["loaf"]},
            {"name": "frosted", "count": 3, "components": ["loaf", "frosting"]},
        ]
        changed = self.patch(f"/api/recipes/{recipe['id']}", {"revision": recipe["revision"], "portions": kinds})
        plain, frosted = (p["holds"]["free_sugars_who_g"] for p in changed["versions"][0]["portions"])
        self.assertAlmostEqual(frosted - plain, 40 * 0.978 / 3, delta=0.1)
        rework = self.post(f"/api/recipes/{recipe['id']}/versions", {"path": "less"})["versions"][1]
        bakes = self.post("/api/bakes", {"version_id": rework["id"], "baked_on": DAY})["bakes"]
        self.assertEqual(
            [(b["label"], b["servings"]) for b in bakes], [("Rework 1, plain", 5), ("Rework 1, frosted", 3)]
        )
        self.post("/api/servings", {"bake_id": bakes[1]["id"], "eaten_on": DAY, "count": 2})
        eaten = self.get(f"/api/ledger?since={DAY}&until={DAY}")["total"]
        self.assertAlmostEqual(eaten["free_sugars_who_g"], 2 * bakes[1]["free_sugars_who_g"], delta=0.02)
        error = self.patch(
            f"/api/recipes/{recipe['id']}", {"revision": changed["revision"] + 1, "portions": kinds[:1]}, 422
        )["error"]
        self.assertEqual(error["field"], "portions")


class Products(WithApplication):
    LABEL: ClassVar[dict[str, Any]] = {
        "name": "Corner shop oat spread",
        "like": "peanut_butter",
        "energy_kcal": 560,
        "fat_g": 42,
        "carbohydrate_g": 30,
        "sugars_g": 18,
        "added_sugars_g": 15,
        "fibre_g": 6,
        "protein_g": 13,
    }

    def test_a_product_is_read_kept_used_put_away_and_brought_back(self) -> None:
        preview = self.post("/api/labels", self.LABEL)
        self.assertEqual(preview["contradictions"], [])
        self.assertEqual(self.get("/api/pantry?q=oat spread")["ingredients"][0]["key"][:4] == "own_", False)
        key = self.post("/api/products", self.LABEL)["ingredient"]["key"]
        text = "Bars\nMakes 10 bars\n100 g corner shop oat spread\n100 g sugar\n200 g rolled oats"
        recipe = self.keep_cake(text)
        self.assertEqual(recipe["versions"][0]["lines"][0]["ingredient"], key)
        self.assertAlmostEqual(recipe["versions"][0]["batch"]["free_sugars_who_g"], 15 + 99.8, delta=0.1)
        self.assertEqual(self.get(f"/api/pantry/{key}")["source"], "label")
        self.delete(f"/api/products/{key}")
        found = self.get("/api/pantry?q=corner shop")["ingredients"]
        self.assertNotIn(key, [i["key"] for i in found])
        self.assertEqual(
            self.get(f"/api/recipes/{recipe['id']}")["versions"][0]["lines"][0]["name"], self.LABEL["name"]
        )
        self.post(f"/api/products/{key}/restore")
        self.assertEqual(self.get("/api/pantry?q=corner shop")["ingredients"][0]["key"], key)

    def test_a_product_travels_with_the_recipe_that_holds_it(self) -> None:
        text = "Bars\nMakes 10 bars\n100 g corner shop oat spread\n100 g sugar\n200 g rolled oats"
        key = self.post("/api/products", self.LABEL)["ingredient"]["key"]
        recipe = self.keep_cake(text)
        own = json.loads(self.get(f"/api/recipes/{recipe['id']}/export?format=json")["content"])
        self.assertEqual([p["key"] for p in own["products"]], [key])
        # Another household: the same label under another key, which is no product here.
        moved = json.loads(json.dumps(own).replace(key, "own_777"))
        self.assertIsNotNone(self.post("/api/import", {"name": "a.json", "content": json.dumps(moved)})["recipe_id"])
        moved["products"][0]["label"]["fat_g"] = 38
        number = self.post("/api/import", {"name": "b.json", "content": json.dumps(moved)})["recipe_id"]
        line = self.get(f"/api/recipes/{number}")["versions"][0]["lines"][0]
        self.assertNotEqual(line["ingredient"], key)
        self.assertEqual(line["name"], self.LABEL["name"])
        shelf = len(self.get("/api/recipes")["recipes"])
        del moved["products"]
        answer = self.post("/api/import", {"name": "c.json", "content": json.dumps(moved)}, 422)
        self.assertIn("own_777", answer["error"]["message"])
        self.assertEqual(len(self.get("/api/recipes")["recipes"]), shelf)

    def test_bad_labels_name_their_field(self) -> None:
        for change, field in (
            ({"fat_g": -1}, "fat_g"),
            ({"sugars_g": 400}, "sugars_g"),
            ({"name": ""}, "name"),
            ({"like": "fog"}, "ingredient"),
        ):
            with self.subTest(change):
                error = self.post("/api/labels", self.LABEL | change, 422)["error"]
                self.assertEqual(error["field"], field)
        self.delete("/api/products/own_99", 404)
        self.delete("/api/products/honey", 404)

    def test_sweeteners_side_by_side_with_prices(self) -> None:
        self.patch("/api/settings", {"prices": {"honey": 10.0}})
        rows = {r["key"]: r for r in self.get("/api/sweeteners?sugar=100&batter=850")["sweeteners"]}
        self.assertAlmostEqual(rows["white_sugar"]["grams"], 100.2, delta=0.3)
        self.assertAlmostEqual(rows["honey"]["price"], rows["honey"]["grams"] / 100, delta=0.02)
        self.assertIsNone(rows["applesauce"]["grams"])
        self.assertEqual(self.get("/api/sweeteners?sugar=lots", 422)["error"]["field"], "sugar")
        self.assertIn("sugar", CAKE)
