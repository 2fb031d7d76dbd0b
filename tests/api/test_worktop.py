"""Bake day, its clock, timers and preparations through the real application."""

from __future__ import annotations

import unittest
from datetime import timedelta

from icalendar import Calendar

from sun_crumb.app import create_app
from sun_crumb.store.tables import Timer
from tests.core.method_cases import FIRST
from tests.support import WithApplication

CAKE = FIRST[0].text


class BakeDays(WithApplication):
    def _kept(self) -> tuple[int, int, int]:
        recipe = self.keep_cake(CAKE)
        made = self.post(f"/api/recipes/{recipe['id']}/versions", {"path": "fruit", "cut": 0.4})
        return recipe["id"], made["versions"][0]["id"], made["versions"][-1]["id"]

    def test_the_original_and_a_version_have_a_method_with_amounts(self) -> None:
        recipe, original, version = self._kept()
        first = self.get(f"/api/recipes/{recipe}/versions/{original}/bake-day")
        self.assertIn("the 150 g butter and 120 g sugar", first["method"]["steps"][2]["text"])
        day = self.get(f"/api/recipes/{recipe}/versions/{version}/bake-day")
        texts = " ".join(step["text"] for step in day["method"]["steps"])
        self.assertIn("date paste", texts)
        self.assertTrue(any(step["is_new"] for step in day["method"]["steps"]))
        self.assertIn("milk", " ".join(day["allergens"]))
        self.assertLess(day["free_sugars_who_g"], first["free_sugars_who_g"])
        self.assertEqual([k["about"] for k in day["keeping"]], ["cool", "keep"])
        self.assertNotIn("safe", " ".join(k["words"] for k in day["keeping"]))

    def test_the_bakers_own_words_win_and_stay(self) -> None:
        recipe, _, version = self._kept()
        address = f"/api/recipes/{recipe}/versions/{version}"
        steps = self.get(f"{address}/bake-day")["method"]["steps"]
        for n in (0, next(n for n, s in enumerate(steps) if s["is_new"])):
            said = self.post(f"{address}/words", {"key": steps[n]["key"], "text": "As my aunt does it."})
            self.assertEqual(said["method"]["steps"][n]["text"], "As my aunt does it.")
            self.assertEqual(said["method"]["steps"][n]["ours"], steps[n]["text"])
        content = self.get("/api/backup")["content"]
        self.post(f"{address}/words", {"key": steps[0]["key"], "text": ""})
        self.assertEqual(self.get(f"{address}/bake-day")["method"]["steps"][0]["text"], steps[0]["text"])
        self.post("/api/restore", {"content": content})
        self.assertEqual(self.get(f"{address}/bake-day")["method"]["steps"][0]["text"], "As my aunt does it.")
        self.post(f"{address}/words", {"key": "no such step", "text": "x"}, 404)

    def test_date_paste_is_bought_as_dates_and_weighs_the_same(self) -> None:
        recipe, _, version = self._kept()
        day = self.get(f"/api/recipes/{recipe}/versions/{version}/bake-day")
        of_paste = [row for row in day["to_buy"] if row["of"] == "date paste"]
        self.assertEqual({row["ingredient"] for row in of_paste}, {"medjool_date", "water"})
        used = sum(u["grams"] for s in day["method"]["steps"] for u in s["uses"] if u["ingredient"] == "date_paste")
        self.assertAlmostEqual(sum(row["grams"] for row in of_paste), used, delta=0.2)

    def test_the_clock_runs_backwards_and_into_a_calendar(self) -> None:
        recipe, _, version = self._kept()
        address = f"/api/recipes/{recipe}/versions/{version}/schedule"
        plan = self.post(address, {"serve": "2031-01-09T16:00", "sleep": "22:30-06:30"})
        self.assertTrue(plan["feasible"])
        self.assertEqual(max(task["end"] for task in plan["tasks"]), "2031-01-09T16:00")
        answer = self.client.get(f"{address}.ics?serve=2031-01-09T16:00")
        self.assertEqual(len(Calendar.from_ical(answer.get_data()).walk("VEVENT")), len(plan["tasks"]))
        told = self.post(address, {"serve": "1850-01-01T10:00"}, 422)["error"]["message"]
        self.assertEqual(told, "serve: 1850-01-01 lies outside 1900-01-01 to 2999-12-31")
        past = self.post(address, {"serve": "2001-01-09T16:00"})
        self.assertEqual(past["clashes"], ["the time of serving is past"])
        for bad in ("soon", "0001-01-01T00:00", "9999-12-31T23:59"):
            self.post(address, {"serve": bad}, 422)
            self.assertEqual(self.client.get(f"{address}.ics?serve={bad}").status_code, 422)
        self.assertEqual(self.client.get(f"{address}.ics?serve=soon").status_code, 422)

    def test_a_recipe_without_a_method_and_a_version_that_is_not_there(self) -> None:
        recipe = self.keep_cake("Plain cake\nServes 8\n100 g plain flour\n100 g sugar\n50 g butter")
        address = f"/api/recipes/{recipe['id']}/versions/{recipe['versions'][0]['id']}/bake-day"
        self.assertIn("no method", self.get(address, 422)["error"]["message"])
        self.get(f"/api/recipes/{recipe['id']}/versions/999/bake-day", 404)

    def test_every_sum_of_the_workshop_works_with_its_usual_figures(self) -> None:
        for one in self.get("/api/workshop")["sums"]:
            given = {f["key"]: f["usual"] for f in one["fields"]}
            with self.subTest(one["key"]):
                worked = self.post(f"/api/workshop/{one['key']}", {"given": given})
                self.assertTrue(worked["words"])
                self.assertTrue(worked["figures"])
        paste = self.post("/api/workshop/paste", {"given": {"grams": "200", "water": "100", "left": "8"}})
        self.assertEqual(paste["figures"][0], {"name": "weighs", "told": "292 g"})

    def test_what_is_no_sum_names_its_field(self) -> None:
        for key, given, field in (
            ("paste", {}, "grams"), ("tin", {"old": "20 cm round", "new": "a hat"}, "tin"), ("tin", {"old": "20 cm round", "new": "20 cm round", "minutes": "long"}, "minutes"),
            ("oven", {"temperature": "900"}, "temperature"), ("candy", {"stage": "goo"}, "stage"), ("cups", {"cups": "-1"}, "cups"), ("altitude", {"altitude": "9000"}, "altitude"),
        ):  # fmt: skip
            with self.subTest(key, **given):
                self.assertEqual(self.post(f"/api/workshop/{key}", {"given": given}, 422)["error"]["field"], field)
        self.post("/api/workshop/conjure", {"given": {}}, 422)


class Timers(WithApplication):
    def test_a_timer_outlives_the_server_and_stops(self) -> None:
        made = self.post("/api/timers", {"name": "Bake", "seconds": 600, "client_key": "a" * 20})
        again = self.post("/api/timers", {"name": "Bake", "seconds": 600, "client_key": "a" * 20})
        self.assertEqual(made["id"], again["id"])
        other = create_app(self.database.path)
        self.addCleanup(other.extensions["database"].close)
        found = other.test_client().get("/api/timers").get_json()["timers"]
        self.assertEqual([t["name"] for t in found], ["Bake"])
        self.assertLessEqual(abs(found[0]["left_s"] - 600), 5)
        self.delete(f"/api/timers/{made['id']}")
        self.assertEqual(self.get("/api/timers")["timers"], [])
        self.assertEqual(self.post(f"/api/timers/{made['id']}/go-on")["id"], made["id"])
        self.assertEqual(len(self.get("/api/timers")["timers"]), 1)

    def test_one_to_stir_by_rings_again_and_again(self) -> None:
        made = self.post("/api/timers", {"name": "Stir", "seconds": 300, "repeats": True})
        self.assertEqual((round(made["left_s"]), made["rung"]), (300, 0))
        with self.database.transaction() as session:
            row = session.get(Timer, made["id"])
            assert row is not None
            row.ends_at -= timedelta(minutes=12)
        (now,) = self.get("/api/timers")["timers"]
        self.assertEqual((now["rung"], now["repeats"]), (2, True))
        self.assertLessEqual(abs(now["left_s"] - 180), 5)
        self.delete(f"/api/timers/{made['id']}")
        self.assertEqual(self.get("/api/timers")["timers"], [])

    def test_one_that_rang_long_ago_is_forgotten(self) -> None:
        made = self.post("/api/timers", {"name": "Bake", "seconds": 60})
        with self.database.transaction() as session:
            row = session.get(Timer, made["id"])
            assert row is not None
            row.ends_at -= timedelta(minutes=10)
        self.assertLess(self.get("/api/timers")["timers"][0]["left_s"], 0)
        with self.database.transaction() as session:
            row = session.get(Timer, made["id"])
            assert row is not None
            row.ends_at -= timedelta(hours=13)
        self.assertEqual(self.get("/api/timers")["timers"], [])

    def test_what_is_no_timer_is_refused(self) -> None:
        for body in ({"name": "", "seconds": 5}, {"name": "x", "seconds": 0}, {"name": "x", "seconds": 10**9}):
            self.post("/api/timers", body, 422)
        self.post("/api/timers", {"name": "x", "seconds": 5, "recipe_id": 999}, 404)
        self.delete("/api/timers/999", 404)


if __name__ == "__main__":
    unittest.main()
