"""Paths side by side, the frontier, relaxations, previews and differences through the API."""

from __future__ import annotations

from typing import Any

from sqlalchemy import update

from sun_crumb.store.tables import Version
from tests.support import CAKE, WithApplication

CRUMBLE = """Plum crumble
Serves 8
For the filling:
10 plums, quartered
75 g caster sugar
For the crumble:
150 g plain flour
60 g rolled oats
100 g butter
90 g light brown sugar
"""


class Around(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        self.recipe = self.keep_cake()
        self.at = f"/api/recipes/{self.recipe['id']}"

    def rework(self, **goals: Any) -> Any:
        return self.post(f"{self.at}/rework", goals)

    def test_side_by_side_is_what_each_path_gives_by_itself(self) -> None:
        sides = self.post(f"{self.at}/paths", {"cut": 0.4})["paths"]
        self.assertEqual([s["path"] for s in sides], ["fruit", "less", "unrefined", "zero", "blend"])
        for side in sides:
            alone = self.rework(path=side["path"], cut=0.4)
            with self.subTest(side["path"]):
                self.assertEqual(side["status"], alone["status"])
                self.assertEqual(side["per_serving"], alone["after"]["per_serving"])
                self.assertEqual(side["new"], [x["name"] for x in alone["lines"] if x["position"] is None])
                self.assertIsNone(side["cost"])

    def test_prices_of_the_household_are_counted(self) -> None:
        self.patch("/api/settings", {"prices": {"white_sugar": 2.0, "honey": 10.0}})
        side = next(s for s in self.post(f"{self.at}/paths", {"cut": 0.5})["paths"] if s["path"] == "less")
        sugar = next(x for x in self.rework(path="less", cut=0.5)["lines"] if x["ingredient"] == "white_sugar")
        self.assertAlmostEqual(side["cost"], 2.0 * sugar["after_g"] / 1000, delta=0.006)

    def test_a_limit_of_cost_goes_by_the_households_prices(self) -> None:
        wish = {"path": "zero", "cut": 0.6, "cupboard": ["stevia_erythritol", "erythritol", "stevia_extract"]}
        free = self.rework(**wish)
        self.assertEqual(self.rework(**wish, most_cost=0.01)["lines"], free["lines"])
        self.patch("/api/settings", {"prices": {"stevia_erythritol": 40.0, "erythritol": 9.0, "stevia_extract": 150.0}})
        kept = self.rework(**wish, most_cost=0.1)
        self.assertNotIn("stevia_erythritol", [x["ingredient"] for x in kept["lines"]])

    def test_the_front_runs_over_twelve_cuts(self) -> None:
        points = self.post(f"{self.at}/frontier", {"path": "zero"})["points"]
        self.assertEqual(len(points), 12)
        self.assertEqual([p["cut"] for p in points], sorted(p["cut"] for p in points))
        self.assertTrue(any(p["is_front"] for p in points))
        self.assertTrue(all(0 <= p["reached"] <= 1.001 for p in points))
        self.assertLess(points[-1]["free_sugars_who_g"], points[0]["free_sugars_who_g"])

    def test_another_base_comes_with_what_it_asks(self) -> None:
        plain = self.rework(path="blend", cut=0.5)
        self.assertEqual(plain["recast"], [])
        self.assertIn("almond", [base["key"] for base in plain["bases"]])
        plan = self.rework(path="blend", cut=0.5, base="almond")
        self.assertEqual([one["base"] for one in plan["recast"]], ["almond"])
        self.assertIn("almond_flour", [x["ingredient"] for x in plan["lines"] if x["after_g"] > 0])
        self.assertIn(plan["recast"][0]["batter"], plan["advice"])
        kept = self.post(f"{self.at}/versions", {"path": "blend", "cut": 0.5, "base": "almond"})["versions"][-1]
        self.assertEqual(kept["goals"]["base"], "almond")
        error = self.post(f"{self.at}/rework", {"base": "almond", "avoid": ["treenut"]}, 422)["error"]
        self.assertEqual(error["field"], "base")
        self.assertIn("it can be made", error["message"])

    def test_a_version_of_ones_own_is_a_pattern_for_others(self) -> None:
        first = int(self.at.rsplit("/", 1)[1])
        lines = [
            {"ingredient": key, "grams": grams}
            for key, grams in (
                ("almond_flour", 300), ("egg", 250), ("honey", 80), ("butter", 90), ("baking_powder", 7), ("orange", 120),
            )
        ]  # fmt: skip
        made = self.post("/api/recipes", {"title": "Almond orange cake", "servings": 10, "lines": lines})
        self.assertEqual(self.get(f"{self.at}/patterns")["patterns"], [])
        kept = self.post(f"/api/recipes/{made['id']}/versions/1/pattern", {"is_pattern": True})
        self.assertTrue(kept["versions"][0]["is_pattern"])
        (own,) = self.get(f"{self.at}/patterns")["patterns"]
        self.assertEqual(own["name"], "Almond orange cake")
        self.assertEqual(self.get(f"/api/recipes/{made['id']}/patterns")["patterns"], [])
        wish = {"cut": 0.4, "recasts": {own["component"]: own["key"]}}
        plan = self.rework(**wish)
        self.assertEqual(plan["recast"][0]["pattern_name"], "Almond orange cake")
        grams = {x["ingredient"]: x["after_g"] for x in plan["lines"]}
        self.assertGreater(grams["almond_flour"], 100)
        version = self.post(f"{self.at}/versions", wish)["versions"][-1]
        self.assertEqual(version["goals"]["recasts"], {own["component"]: own["key"]})
        backup = self.get("/api/backup")["content"]
        self.post("/api/restore", {"content": backup})
        self.assertEqual(self.get(f"/api/recipes/{first}/patterns")["patterns"], [own])
        self.post(f"/api/recipes/{made['id']}/versions/1/pattern", {"is_pattern": False})
        self.assertEqual(self.get(f"{self.at}/patterns")["patterns"], [])
        error = self.post(f"{self.at}/rework", wish, 422)["error"]
        self.assertEqual((error["field"], error["message"]), ("recasts", "that pattern of yours is no longer kept"))
        self.assertEqual(
            self.post("/api/recipes/999/versions/1/pattern", {"is_pattern": True}, 404)["error"]["field"], "version"
        )

    def test_a_preview_follows_another_base(self) -> None:
        plan = self.rework(path="blend", cut=0.5, base="almond")
        support = [
            {"component": x["component"], "ingredient": x["ingredient"], "grams": x["after_g"]}
            for x in plan["lines"]
            if x["position"] is None
        ]
        found = self.post(f"{self.at}/preview", {"path": "blend", "cut": 0.5, "base": "almond", "support": support})
        places = {(x["position"], x["ingredient"]) for x in plan["lines"]}
        self.assertLessEqual({(x["position"], x["ingredient"]) for x in found["lines"]}, places)

    def test_every_figure_comes_with_its_doubt(self) -> None:
        plan = self.rework(path="blend", cut=0.5)
        for side in ("before", "after"):
            held = plan[side]["per_serving"]
            for one in plan["uncertainty"][side]["figures"]:
                with self.subTest(side=side, figure=one["key"]):
                    self.assertLessEqual(one["low"], one["value"])
                    self.assertLessEqual(one["value"], one["high"])
                    self.assertAlmostEqual(one["value"], held[one["key"]], delta=0.06)
        self.assertIn("as sweet as asked", plan["uncertainty"]["as_sweet"]["words"])
        sure = self.rework(path="blend", cut=0.5, confidence=0.95)
        self.assertLessEqual(
            sure["after"]["per_serving"]["free_sugars_who_g"], plan["after"]["per_serving"]["free_sugars_who_g"] + 0.05
        )
        self.assertEqual(self.post(f"{self.at}/rework", {"confidence": 1.5}, 422)["error"]["field"], "confidence")

    def test_another_way_can_be_taken_as_it_is(self) -> None:
        wish = {"path": "blend", "cut": 0.5}
        first = self.rework(**wish)
        for one in self.post(f"{self.at}/others", wish)["others"]:
            with self.subTest(one["words"]):
                plan = self.rework(**(wish | one["changes"]))
                self.assertEqual(plan["status"], one["status"])
                self.assertNotEqual([x["ingredient"] for x in plan["lines"]], [x["ingredient"] for x in first["lines"]])

    def test_an_afternoon_holds_its_limit(self) -> None:
        recipe = int(self.at.rsplit("/", 1)[1])
        found = self.post("/api/afternoon", {"most_g": 8, "desserts": [{"recipe_id": recipe, "portions": 1}]})
        self.assertTrue(found["is_held"])
        one = found["desserts"][0]
        held = (
            self.rework(cut=one["cut"])["after"]["per_serving"]["free_sugars_who_g"]
            if one["cut"]
            else found["before_g"]
        )
        self.assertAlmostEqual(found["free_sugar_g"], held, delta=0.06)
        self.assertLessEqual(found["free_sugar_g"], 8.0)
        missing = self.post("/api/afternoon", {"most_g": 8, "desserts": [{"recipe_id": 999}]}, 404)["error"]
        self.assertEqual(missing["field"], "id")

    def test_a_relaxation_can_be_taken_as_it_is(self) -> None:
        wish = {"path": "fruit", "cut": 0.9}
        self.assertNotEqual(self.rework(**wish)["status"], "balanced")
        found = self.post(f"{self.at}/relaxations", wish)["relaxations"]
        self.assertTrue(found)
        for item in found:
            with self.subTest(item["words"]):
                self.assertEqual(self.rework(**(wish | item["changes"]))["status"], "balanced")

    def test_a_little_further_can_be_taken_as_it_is(self) -> None:
        wish = {"path": "blend", "cut": 0.5}
        found = self.post(f"{self.at}/sensitivity", wish)["nudges"]
        self.assertEqual([n["goal"] for n in found], ["keep_sweet", "cut"])
        before = self.rework(**wish)["after"]["per_serving"]["free_sugars_who_g"]
        after = self.rework(**(wish | found[1]["changes"]))["after"]["per_serving"]["free_sugars_who_g"]
        self.assertLess(after, before)

    def test_the_preview_follows_with_the_same_ingredients(self) -> None:
        last = self.rework(path="fruit", cut=0.4)
        new = [x for x in last["lines"] if x["position"] is None]
        support = [{"component": x["component"], "ingredient": x["ingredient"], "grams": x["after_g"]} for x in new]
        seen = self.post(f"{self.at}/preview", {"path": "fruit", "cut": 0.5, "support": support})
        self.assertLessEqual(
            {x["ingredient"] for x in seen["lines"] if x["position"] is None}, {x["ingredient"] for x in new}
        )
        self.assertLess(
            seen["per_serving"]["free_sugars_who_g"], last["after"]["per_serving"]["free_sugars_who_g"] + 0.05
        )
        # Dropping what held the plan together is no error, only a worse balance.
        bare = self.post(f"{self.at}/preview", {"path": "fruit", "cut": 0.9, "support": []})
        self.assertTrue(any(m["level"] == "off" for m in bare["balance"][0]["metrics"]))

    def test_components_each_keep_their_own_ingredients_in_a_preview(self) -> None:
        recipe = self.keep_cake(CRUMBLE)
        at = f"/api/recipes/{recipe['id']}"
        last = self.post(f"{at}/rework", {"path": "fruit", "cut": 0.3})
        support = [
            {"component": x["component"], "ingredient": x["ingredient"], "grams": x["after_g"]}
            for x in last["lines"] if x["position"] is None
        ]  # fmt: skip
        seen = self.post(f"{at}/preview", {"path": "fruit", "cut": 0.35, "support": support})
        self.assertEqual({b["component"] for b in seen["balance"]}, {"filling", "crumble"})
        pairs = {(x["component"], x["ingredient"]) for x in seen["lines"] if x["position"] is None}
        self.assertLessEqual(pairs, {(s["component"], s["ingredient"]) for s in support})

    def test_versions_are_compared_line_by_line(self) -> None:
        kept = self.post(f"{self.at}/versions", {"path": "zero", "cut": 0.5})
        found = self.get(f"{self.at}/difference?first=1&second=2")
        first, second = kept["versions"]
        self.assertEqual(found["first"], first["per_serving"])
        self.assertEqual(found["second"], second["per_serving"])
        sugar = next(x for x in found["lines"] if x["ingredient"] == "white_sugar")
        self.assertTrue(sugar["is_changed"])
        self.assertIn("less", sugar["words"])
        for line in found["lines"]:
            self.assertEqual(line["is_changed"], bool(line["words"]))
        same = self.get(f"{self.at}/difference?first=2&second=2")
        self.assertFalse(any(x["is_changed"] for x in same["lines"]))
        self.assertEqual(self.get(f"{self.at}/difference?first=one&second=2", 422)["error"]["field"], "first")
        for query in ("?first=1&second=9", "?first=1", ""):
            with self.subTest(query):
                self.assertEqual(self.get(f"{self.at}/difference{query}", 404)["error"]["field"], "version")

    def test_an_amount_in_the_way_is_let_go_as_it_is_offered(self) -> None:
        wish = {"path": "unrefined", "cut": 1.0, "amounts": [{"component": "", "ingredient": "honey", "grams": 340.0}]}
        offers = self.post(f"{self.at}/relaxations", wish)["relaxations"]
        offer = next(r for r in offers if r["goal"] == "amounts")
        self.assertEqual(offer["changes"], {"amounts": []})
        made = self.rework(**(wish | offer["changes"]))
        # All of it as honey browns many times as fast, and the plan says so.
        self.assertLessEqual({u["goal"] for u in made["unmet"]}, {"browning"})

    def test_the_preview_keeps_eggs_as_the_plan_moved_them(self) -> None:
        text = "Ginger cookies\nMakes 40\n300 g butter\n360 g sugar\n2 eggs\n520 g flour\n2 tsp baking soda"
        at = f"/api/recipes/{self.keep_cake(text)['id']}"
        wish = {
            "path": "unrefined",
            "cut": 0.5,
            "keep_sweet": 0.8,
            "cupboard": ["maple_syrup"],
            "families": {"": "cookie"},
        }
        made = self.post(f"{at}/rework", wish)
        support = [
            {"component": x["component"], "ingredient": x["ingredient"], "grams": x["after_g"]}
            for x in made["lines"]
            if x["position"] is None or x["after_g"] != x["before_g"]
        ]
        seen = self.post(f"{at}/preview", {**wish, "cut": 0.45, "support": support})
        egg = next(x for x in seen["lines"] if x["ingredient"] == "egg")
        self.assertEqual(egg["after_g"], 75)

    def test_the_oven_of_a_kept_recipe_is_known(self) -> None:
        made = self.rework(path="unrefined", cupboard=["honey"])
        self.assertTrue(any("instead of 180 °C" in words for words in made["advice"]), made["advice"])

    def test_every_wish_is_kept_with_its_version(self) -> None:
        wish = {
            "path": "blend", "cut": 0.4, "avoid": ["treenut"], "without": ["honey"], "including": ["walnut"],
            "most_energy_kcal": 400.0, "most_free_sugar_g": 20.0, "most_cost": 0.5, "families": {"": "brownie"}, "locks": {"1": 200.0},
            "amounts": [{"component": "", "ingredient": "date paste", "grams": 44.0}], "most_new": 2, "caps": {"paste": 0.1}, "flavours": ["vanilla"],
            "eaters": ["diabetes"],
        }  # fmt: skip
        goals = self.post(f"{self.at}/versions", wish)["versions"][-1]["goals"]
        self.assertEqual(goals["including"], ["walnuts"])
        self.assertEqual(goals["amounts"], [{"component": "", "ingredient": "date_paste", "grams": 44.0}])
        for key in (
            "avoid",
            "without",
            "most_energy_kcal",
            "most_free_sugar_g",
            "most_cost",
            "families",
            "locks",
            "most_new",
            "caps",
            "flavours",
            "eaters",
        ):
            with self.subTest(key):
                self.assertEqual(goals[key], wish[key])

    def test_goals_kept_before_these_wishes_were_known_still_open(self) -> None:
        self.post(f"{self.at}/versions", {"path": "less"})
        old = {"path": "less", "cut": 0.3, "keep_sweet": 0.7, "definition": "free_sugars_who_g", "diets": [],
               "cupboard": None, "families": {}, "locks": {}}  # fmt: skip
        with self.database.transaction() as session:
            session.execute(update(Version).where(Version.number == 2).values(goals=old))
        goals = self.get(self.at)["versions"][1]["goals"]
        self.assertEqual((goals["without"], goals["most_energy_kcal"], goals["cut"]), ([], None, 0.3))
        self.assertEqual((goals["amounts"], goals["most_new"], goals["caps"], goals["flavours"]), ([], None, {}, None))
        self.rework(**goals)

    def test_unknown_wishes_name_their_field(self) -> None:
        for wish, field in (
            ({"without": ["moon"]}, "without"), ({"including": ["moon"]}, "including"), ({"avoid": ["moon"]}, "avoid"),
            ({"without": ["honey"], "including": ["honey"]}, "including"), ({"most_energy_kcal": 0}, "most_energy_kcal"),
            ({"most_free_sugar_g": -2}, "most_free_sugar_g"), ({"most_cost": -2}, "most_cost"), ({"locks": {"0": -1}}, "locks"), ({"locks": {"77": 1}}, "locks"),
            ({"amounts": [{"ingredient": "moon", "grams": 3}]}, "amounts"), ({"amounts": [{"ingredient": "honey", "grams": -3}]}, "amounts"),
            ({"amounts": [{"ingredient": "egg", "grams": 3}]}, "amounts"), ({"most_new": 9}, "most_new"), ({"caps": {"salt": 0.1}}, "caps"),
            ({"caps": {"paste": 3}}, "caps"), ({"eaters": ["moon"]}, "eaters"), ({"flavours": ["moon"]}, "flavours"),
            ({"families": {"": "soup"}}, "family"), ({"including": ["honey"] * 11}, "including"),
        ):  # fmt: skip
            for operation in ("rework", "paths", "frontier", "relaxations", "preview", "versions"):
                with self.subTest(wish, operation=operation):
                    error = self.post(f"{self.at}/{operation}", wish, 422)["error"]
                    self.assertIn(field, error["field"])
        self.assertEqual(len(self.get(self.at)["versions"]), 1)
        self.assertIn("sugar", CAKE)

    def test_nothing_of_this_is_there_without_the_recipe(self) -> None:
        for operation in ("paths", "frontier", "relaxations", "preview"):
            self.post(f"/api/recipes/77/{operation}", {}, 404)
