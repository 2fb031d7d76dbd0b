"""Weighing in through the real application: what is off is asked, the rest follows, the bake keeps what was true."""

from __future__ import annotations

import unittest
from datetime import timedelta
from typing import Any

from sun_crumb.app import create_app
from sun_crumb.core.pantry import shipped_pantry
from tests.core.method_cases import FIRST
from tests.support import WithApplication

CAKE = FIRST[0].text


class WeighIn(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        recipe = self.keep_cake(CAKE)
        made = self.post(f"/api/recipes/{recipe['id']}/versions", {"path": "unrefined", "cut": 0.4})
        self.recipe, self.version = recipe["id"], made["versions"][-1]["id"]
        self.original = made["versions"][0]["id"]
        self.address = f"/api/recipes/{self.recipe}/versions/{self.version}/weigh-in"

    def line(self, bowl: dict[str, Any], key: str) -> dict[str, Any]:
        return next(line for line in bowl["lines"] if line["ingredient"] == key)

    def weigh(self, line: dict[str, Any], grams: float | None) -> dict[str, Any]:
        return self.post(self.address, {"position": line["position"], "step": line["step"], "grams": grams})

    def sweet(self, bowl: dict[str, Any]) -> dict[str, Any]:
        """Return the heaviest line of what sweetens."""
        pantry = shipped_pantry()
        found = [x for x in bowl["lines"] if pantry[x["ingredient"]].has_role("sugar", "syrup")]
        return max(found, key=lambda x: float(x["target_g"]))

    def test_every_gram_of_the_version_goes_in_at_some_step(self) -> None:
        bowl = self.get(self.address)
        version = next(v for v in self.get(f"/api/recipes/{self.recipe}")["versions"] if v["id"] == self.version)
        weighed: dict[str, float] = {}
        for line in bowl["lines"]:
            weighed[line["ingredient"]] = weighed.get(line["ingredient"], 0.0) + line["target_g"]
        listed: dict[str, float] = {}
        for line in version["lines"]:
            listed[line["ingredient"]] = listed.get(line["ingredient"], 0.0) + line["grams"]
        for key, grams in listed.items():
            self.assertAlmostEqual(weighed.get(key, 0.0), grams, delta=0.2 + 0.01 * grams, msg=key)

    def test_near_its_target_nothing_is_asked(self) -> None:
        line = self.sweet(self.get(self.address))
        bowl = self.weigh(line, line["target_g"] + 0.9)
        self.assertIsNone(bowl["question"])
        self.assertEqual(bowl["weighed"], 1)

    def test_what_is_over_is_asked_and_the_rest_follows(self) -> None:
        before = self.get(self.address)
        line = self.sweet(before)
        bowl = self.weigh(line, round(1.22 * line["target_g"]))
        asked = bowl["question"]
        self.assertIn(line["name"], asked["words"])
        self.assertIn(" over", asked["words"])
        kinds = [choice["kind"] for choice in asked["choices"]]
        self.assertEqual(kinds[0], "keep")
        self.assertIn("rebalance", kinds)
        self.assertEqual(kinds[-1], "take_out")
        after = self.post(f"{self.address}/choice", {"kind": "rebalance"})
        self.assertIsNone(after["question"])
        self.assertEqual({x["ingredient"] for x in after["lines"]}, {x["ingredient"] for x in before["lines"]})
        self.assertEqual(self.line(after, line["ingredient"])["weighed_g"], round(1.22 * line["target_g"]))
        moved = [x for x in after["lines"] if x["target_g"] != x["planned_g"]]
        self.assertTrue(moved)
        # What follows brings a portion's sugar back towards the plan, and the steps say it.
        plan = bowl["planned_free_sugars_who_g"]
        self.assertLess(abs(after["free_sugars_who_g"] - plan), abs(bowl["free_sugars_who_g"] - plan))
        day = self.get(self.address.replace("weigh-in", "bake-day"))
        used = {use["ingredient"]: use["grams"] for step in day["method"]["steps"] for use in step["uses"]}
        for one in moved:
            self.assertAlmostEqual(used[one["ingredient"]], one["target_g"], delta=0.1)

    def test_as_much_as_it_takes_is_never_too_much_and_its_sugar_is_told(self) -> None:
        recipe = self.keep_cake(
            "Drizzle biscuits\nMakes 10\n\n200 g plain flour\n100 g butter\n40 ml maple syrup, as needed\n\n"
            "1. Rub the butter into the flour.\n2. Add the maple syrup until the dough comes together.\n3. Bake at 180 C for 15 minutes."
        )
        version = recipe["versions"][0]["id"]
        self.address = f"/api/recipes/{recipe['id']}/versions/{version}/weigh-in"
        before = self.get(self.address)
        syrup, flour = self.line(before, "maple_syrup"), self.line(before, "plain_flour")
        self.assertTrue(syrup["by_little"])
        self.assertFalse(flour["by_little"])
        bowl = self.weigh(syrup, syrup["target_g"] * 1.5)
        self.assertIsNone(bowl["question"])
        self.assertAlmostEqual(bowl["free_sugars_who_g"] / before["planned_free_sugars_who_g"], 1.5, delta=0.02)

    def test_an_original_is_scaled(self) -> None:
        self.address = f"/api/recipes/{self.recipe}/versions/{self.original}/weigh-in"
        bowl = self.get(self.address)
        egg, flour = self.line(bowl, "egg"), max(bowl["lines"], key=lambda x: float(x["target_g"]))
        self.weigh(flour, flour["target_g"])
        asked = self.weigh(egg, round(1.1 * egg["target_g"], 1))["question"]
        self.assertEqual([c["kind"] for c in asked["choices"]], ["keep", "scale", "take_out"])
        self.assertTrue(next(c for c in asked["choices"] if c["kind"] == "scale")["changes"])
        after = self.post(f"{self.address}/choice", {"kind": "scale"})
        again = self.line(after, flour["ingredient"])
        self.assertIsNone(again["weighed_g"])  # more of what is in: weighed again
        self.assertAlmostEqual(again["target_g"] / again["planned_g"], 1.1, delta=0.005)

    def test_a_choice_that_nobody_asked_for_is_refused(self) -> None:
        answer = self.client.post(f"{self.address}/choice", json={"kind": "scale"})
        self.assertEqual(answer.status_code, 422)
        self.assertEqual(answer.get_json()["error"]["field"], "kind")

    def test_what_is_no_weighing_is_refused_and_nothing_is_lost(self) -> None:
        line = self.sweet(self.get(self.address))
        self.weigh(line, line["target_g"])
        for wrong, field in (
            ({"position": line["position"], "step": line["step"], "grams": 9000.0}, "grams"),
            ({"position": line["position"], "step": 399, "grams": 10.0}, "position"),
            ({"position": line["position"], "step": line["step"], "grams": -2}, "grams"),
            ({"position": line["position"], "step": line["step"], "grams": "x"}, "grams"),
        ):
            with self.subTest(wrong):
                answer = self.client.post(self.address, json=wrong)
                self.assertIn(answer.status_code, (404, 422))
                self.assertEqual(answer.get_json()["error"]["field"], field)
        self.assertEqual(self.get(self.address)["weighed"], 1)

    def test_it_outlives_the_server_and_can_begin_again(self) -> None:
        line = self.sweet(self.get(self.address))
        self.weigh(line, 1.3 * line["target_g"])
        other = create_app(self.database.path)
        self.addCleanup(other.extensions["database"].close)
        again = other.test_client().get(self.address).get_json()
        self.assertEqual(again["question"]["position"], line["position"])
        undone = self.weigh(line, None)
        self.assertIsNone(undone["question"])
        self.assertEqual(undone["weighed"], 0)
        self.weigh(line, line["target_g"])
        self.assertEqual(self.client.delete(self.address).get_json()["weighed"], 0)

    def test_the_bake_keeps_what_was_true_and_the_bowl_is_empty(self) -> None:
        today = self.database.clock.today()
        day = {"version_id": self.version, "baked_on": today.isoformat()}
        planned = self.post("/api/bakes", day)["bakes"][0]
        line = self.sweet(self.get(self.address))
        self.weigh(line, 2 * line["target_g"])
        self.post(f"{self.address}/choice", {"kind": "keep"})
        # A bake of last week, logged meanwhile, has nothing of what is in the bowl.
        old = day | {"baked_on": (today - timedelta(days=7)).isoformat()}
        self.assertEqual(self.post("/api/bakes", old)["bakes"][0]["portion_g"], planned["portion_g"])
        self.assertEqual(self.get(self.address)["weighed"], 1)
        true = self.post("/api/bakes", day)["bakes"][0]
        sugar = shipped_pantry()[line["ingredient"]].per_100g.total_sugars_g
        more = line["target_g"] * sugar / 100 / planned["servings"]
        self.assertAlmostEqual(true["total_sugars_g"] - planned["total_sugars_g"], more, delta=0.15)
        self.assertAlmostEqual(
            true["portion_g"] - planned["portion_g"], line["target_g"] / planned["servings"], delta=0.15
        )
        self.assertEqual(self.get(self.address)["weighed"], 0)
        third = self.post("/api/bakes", day)["bakes"][0]
        self.assertAlmostEqual(third["total_sugars_g"], planned["total_sugars_g"])


class Devices(WithApplication):
    def test_without_a_device_each_answer_says_so(self) -> None:
        self.assertEqual(self.get("/api/devices"), {"devices": []})
        for answer in (self.client.post("/api/devices/scale/tare"), self.client.get("/api/devices/stream")):
            self.assertEqual(answer.status_code, 409)
            self.assertEqual(answer.get_json()["error"]["code"], "no_device")


if __name__ == "__main__":
    unittest.main()
