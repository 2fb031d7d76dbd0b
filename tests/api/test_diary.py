"""People, slips, the diary and its sums through the real application; sums against plain SQL and against pandas on the export."""

from __future__ import annotations

import io
import json
import random
import sqlite3
from datetime import date
from typing import Any

import pandas as pd

from tests.support import WithApplication

SPAN = "since=2026-01-01&until=2026-12-31"


class People(WithApplication):
    def test_a_person_has_the_limit_of_age_and_authority(self) -> None:
        made = self.post("/api/people", {"name": " Ines ", "age": "7_to_10", "authority": "uk", "client_key": "a"})
        self.assertEqual(
            (made["name"], made["limit"]["grams"], made["limit"]["definition"]), ("Ines", 24.0, "free_sugars_uk_g")
        )
        self.assertEqual(
            self.post("/api/people", {"name": " Ines ", "age": "7_to_10", "authority": "uk", "client_key": "a"}), made
        )
        changed = self.patch(f"/api/people/{made['id']}", {"authority": "who_5", "energy_kcal": 1600})
        self.assertEqual(changed["limit"]["grams"], 20.0)
        own = self.patch(f"/api/people/{made['id']}", {"authority": "own", "own_limit_g": 12})
        self.assertEqual(own["limit"]["grams"], 12.0)
        for bad, field in (
            ({"name": "ines"}, "name"),
            ({"age": "elf", "name": "B"}, "age"),
            ({"authority": "own", "name": "B"}, "own_limit_g"),
        ):
            self.assertEqual(self.post("/api/people", bad, 422)["error"]["field"], field)
        self.delete(f"/api/people/{made['id']}")
        self.assertEqual(self.get("/api/people")["people"], [])
        self.assertEqual(self.post(f"/api/people/{made['id']}/restore")["name"], "Ines")

    def test_the_table_has_the_needs_of_all_who_sit_at_it(self) -> None:
        self.post("/api/people", {"name": "A", "diets": ["vegan"], "eaters": ["diabetes"]})
        self.post("/api/people", {"name": "B", "diets": ["nut_free", "vegan"]})
        self.post("/api/people", {"name": "C", "diets": ["paleo"], "is_at_table": False})
        self.assertEqual(self.get("/api/people")["at_table"], {"diets": ["vegan", "nut_free"], "eaters": ["diabetes"]})


class Diary(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        recipe = self.keep_cake()
        made = self.post(f"/api/recipes/{recipe['id']}/versions", {"path": "blend", "cut": 0.5})
        self.recipe = recipe["id"]
        self.original, self.version = (v["id"] for v in made["versions"])
        self.bake = self.post("/api/bakes", {"version_id": self.version, "baked_on": "2026-03-01"})["bakes"][0]
        self.post("/api/people", {"name": "Ines", "authority": "who_5", "energy_kcal": 1600})
        self.post("/api/people", {"name": "Otto", "authority": "aha", "age": "adult_man"})

    def test_the_doubt_of_a_span_holds_its_sum(self) -> None:
        for day in ("2026-03-02", "2026-03-03", "2026-03-05"):
            self.eat(day, count=2)
        self.post("/api/slips", {"name": "jam", "eaten_on": "2026-03-04", "grams": 20, "sugars_g": 10})
        for definition in ("free_sugars_who_g", "refined_sugar_g", "total_sugars_g"):
            query = f"{SPAN}&definition={definition}"
            whole = self.get(f"/api/diary/sums?{query}")["total"]["sugar_g"]
            found = self.get(f"/api/diary/doubt?{query}")
            with self.subTest(definition):
                self.assertAlmostEqual(found["value"], whole, delta=0.06)
                self.assertTrue(found["low"] < found["value"] < found["high"])
        self.assertEqual(self.get("/api/diary/doubt?since=2026-01-01&until=2026-01-02")["value"], 0)
        self.assertEqual(self.get("/api/diary/doubt?since=2026-02-01&until=2026-01-02", 422)["error"]["field"], "since")

    def eat(self, day: str, who: str = "Ines", count: float = 1, at: int | None = None, bake: Any = None) -> Any:
        body = {"bake_id": (bake or self.bake)["id"], "eaten_on": day, "count": count, "who": who, "eaten_at": at}
        return self.post("/api/servings", body)

    def slip(self, day: str, **more: Any) -> Any:
        return self.post(
            "/api/slips", {"eaten_on": day, "grams": 17, "sugars_g": 3.7, "name": "ketchup", "who": "Ines"} | more
        )

    def test_slips_by_food_by_label_and_by_three_taps(self) -> None:
        food = self.slip("2026-03-02", ingredient="honey", grams=10, sugars_g=None, name="")
        self.assertAlmostEqual(food["free_sugars_who_g"], 8.2, delta=0.3)
        self.assertEqual(food["refined_sugar_g"], 0)
        juice = self.slip("2026-03-02", name="juice", grams=200, sugars_g=17, kind="juice")
        self.assertEqual((juice["free_sugars_who_g"], juice["added_sugars_us_g"]), (17, 0))
        usual = self.get("/api/slips/usual")["slips"][0]
        three = self.slip(
            "2026-03-02",
            name=usual["name"],
            grams=usual["grams"],
            sugars_g=usual["sugars_g"],
            energy_kcal=usual["energy_kcal"],
            kind=usual["kind"],
        )
        self.assertEqual(three["energy_kcal"], usual["energy_kcal"])
        for bad, field in (
            ({"sugars_g": 18}, "sugars_g"),
            ({"sugars_g": None}, "sugars_g"),
            ({"grams": 0}, "grams"),
            ({"kind": "love"}, "kind"),
            ({"ingredient": "gravel"}, "ingredient"),
        ):
            body = {"eaten_on": "2026-03-02", "grams": 17, "sugars_g": 3.7, "name": "x"} | bad
            self.assertEqual(self.post("/api/slips", body, 422)["error"]["field"], field)

    def test_what_lies_ahead_is_not_noted_as_done(self) -> None:
        for path, body, field in (
            ("/api/servings", {"bake_id": self.bake["id"], "eaten_on": "2099-01-01", "count": 1}, "eaten_on"),
            ("/api/bakes", {"version_id": self.version, "baked_on": "2099-01-01"}, "baked_on"),
            (
                "/api/tastings",
                {"bake_id": self.bake["event_id"], "tasted_on": "2099-01-01", "scores": {"liked": 2}},
                "tasted_on",
            ),
            ("/api/slips", {"name": "jam", "eaten_on": "2099-01-01", "grams": 20, "sugars_g": 10}, "eaten_on"),
        ):
            error = self.post(path, body, 422)["error"]
            with self.subTest(path):
                self.assertEqual(error["field"], field)
                self.assertIn("lies ahead", error["message"])

    def test_a_retry_counts_once_and_undo_takes_back(self) -> None:
        first = self.slip("2026-03-02", client_key="s")
        self.assertEqual(self.slip("2026-03-02", client_key="s"), first)
        self.assertEqual(self.get(f"/api/diary/sums?{SPAN}")["total"]["slips_g"], 3.7)
        self.delete(f"/api/slips/{first['id']}")
        self.assertEqual(self.get(f"/api/diary/sums?{SPAN}")["total"]["slips_g"], 0)
        self.post(f"/api/slips/{first['id']}/restore")
        self.assertEqual(len(self.get(f"/api/diary?{SPAN}")["entries"]), 1)

    def test_a_day_is_told_in_the_order_it_was_eaten(self) -> None:
        self.eat("2026-03-02", at=16 * 60)
        self.slip("2026-03-02", eaten_at=8 * 60, name="jam")
        self.slip("2026-03-03", name="late")
        self.eat("2026-03-02")
        found = self.get("/api/diary?since=2026-03-01&until=2026-03-05")["entries"]
        self.assertEqual(
            [(e["day"], e["at"]) for e in found],
            [("2026-03-03", None), ("2026-03-02", 480), ("2026-03-02", 960), ("2026-03-02", None)],
        )

    def test_limits_are_of_the_person_and_the_days_that_a_diary_was_kept(self) -> None:
        self.eat("2026-03-01")
        self.eat("2026-03-02")
        self.eat("2026-03-02", who="Otto")
        by = {
            row["name"]: row for row in self.get("/api/diary/sums?since=2026-03-01&until=2026-03-07&by=person")["rows"]
        }
        self.assertEqual((by["Ines"]["limit_g"], by["Otto"]["limit_g"]), (20 * 7, 36 * 7))
        year = self.get(f"/api/diary/sums?{SPAN}&who=Ines")["total"]
        today = self.database.clock.today()
        self.assertEqual(year["limit_g"], 20 * ((min(today, date(2026, 12, 31)) - date(2026, 3, 1)).days + 1))
        day = self.get("/api/diary/sums?since=2026-03-01&until=2026-03-07")["rows"][1]
        self.assertEqual(day["limit_g"], 56.0)
        month = self.get("/api/diary/sums?since=2026-03-01&until=2026-03-07&by=month&who=Ines")["rows"][0]
        self.assertEqual((month["key"], month["limit_g"]), ("2026-03", 20 * 7))
        week = self.get("/api/diary/sums?since=2026-03-02&until=2026-03-15&by=week&who=Ines")["rows"][0]
        self.assertEqual((week["key"], week["limit_g"]), ("2026-03-02", 140))

    def test_four_definitions_can_be_switched(self) -> None:
        self.eat("2026-03-02", count=2)
        for definition in (
            "free_sugars_who_g",
            "free_sugars_uk_g",
            "added_sugars_us_g",
            "refined_sugar_g",
            "total_sugars_g",
        ):
            total = self.get(f"/api/diary/sums?{SPAN}&definition={definition}")["total"]
            with self.subTest(definition):
                self.assertAlmostEqual(total["sugar_g"], 2 * self.bake[definition], delta=0.03)
                self.assertAlmostEqual(total["saved_g"], 2 * self.bake[f"saved_{definition}"], delta=0.03)
        self.assertEqual(self.get(f"/api/diary/sums?{SPAN}&definition=love", 422)["error"]["field"], "definition")

    def test_a_smaller_slice_is_shown_as_one(self) -> None:
        number = self.bake["event_id"]
        cut = self.patch(f"/api/bakes/{number}", {"pieces": self.bake["servings"] * 2})["bake"]["portions"][0]
        self.eat("2026-03-02", bake=cut)
        total = self.get(f"/api/diary/sums?{SPAN}")["total"]
        # Half a slice: saved at half the mass, and as much sugar of the original again by the slice being smaller.
        self.assertAlmostEqual(total["saved_g"], self.bake["saved_free_sugars_who_g"] / 2, delta=0.05)
        original = (self.bake["free_sugars_who_g"] + self.bake["saved_free_sugars_who_g"]) / 2
        # The plan's batch weighs a little other than the original's, so half a slice is not to the gram half of it.
        self.assertAlmostEqual(total["smaller_g"], original, delta=0.06 * original)

    def test_what_is_eaten_more_often_is_shown(self) -> None:
        first = self.post("/api/bakes", {"version_id": self.original, "baked_on": "2026-01-01"})["bakes"][0]
        for day in ("2026-01-01", "2026-01-14"):
            self.eat(day, bake=first)
        for day in ("2026-03-01", "2026-03-03", "2026-03-05", "2026-03-08", "2026-03-14"):
            self.eat(day)
        often = self.get(f"/api/diary/sums?{SPAN}&by=recipe")["more_often"]
        self.assertEqual([(round(x["before_week"], 2), round(x["after_week"], 2)) for x in often], [(1.0, 2.5)])

    def test_a_challenge_tells_slips_kindly(self) -> None:
        today = self.database.clock.today().isoformat()
        made = self.post(
            "/api/challenges", {"name": "no free sugar until the first", "since": today, "until": "2999-01-01"}, 422
        )
        self.assertEqual(made["error"]["field"], "until")
        made = self.post("/api/challenges", {"name": "a quiet week", "since": today, "until": today, "who": "Ines"})
        self.assertEqual(made["words"], "1 of 1 days without a slip.")
        self.slip(today)
        self.slip(today, who="Otto")
        kept = self.get("/api/challenges")["challenges"][0]
        self.assertEqual((kept["words"], len(kept["slips"])), ("0 of 1 days without a slip.", 1))
        self.delete(f"/api/challenges/{made['id']}")
        self.assertEqual(self.get("/api/challenges")["challenges"], [])

    def _much(self, count: int) -> None:
        chance = random.Random(5)
        for _ in range(count):
            day = f"2026-{chance.randint(3, 9):02d}-{chance.randint(1, 28):02d}"
            who = chance.choice(["Ines", "Otto", ""])
            if chance.random() < 0.3:
                self.slip(
                    day, who=who, sugars_g=round(chance.uniform(0, 17), 2), eaten_at=chance.choice([None, 500, 1100])
                )
            else:
                self.eat(day, who, chance.choice([0.5, 1, 2]), chance.choice([None, 700, 1000]))

    def test_sums_are_those_of_plain_sql_and_of_pandas_on_the_export(self) -> None:
        self._much(60)
        whole = self.get(f"/api/diary/sums?{SPAN}")["total"]
        with sqlite3.connect(self.database.path) as bare:
            sugar, saved = bare.execute(
                "SELECT (SELECT sum(s.count * p.free_sugars_who_g) FROM servings s JOIN bake_portions p ON p.id = s.portion_id)"
                " + (SELECT sum(free_sugars_who_g) FROM slips),"
                " (SELECT sum(s.count * p.saved_free_sugars_who_g) FROM servings s JOIN bake_portions p ON p.id = s.portion_id)"
            ).fetchone()
        self.assertAlmostEqual(whole["sugar_g"], sugar, delta=0.02)
        self.assertAlmostEqual(whole["saved_g"], saved, delta=0.02)
        frame = pd.read_csv(io.StringIO(self.client.get(f"/api/diary/file?{SPAN}").get_data(as_text=True)))
        self.assertAlmostEqual(frame["free_sugars_who_g"].sum(), sugar, delta=0.02)
        for by, keys in (("month", frame["day"].str[:7]), ("person", frame["who"].fillna("")), ("day", frame["day"])):
            sums = frame.groupby(keys)["free_sugars_who_g"].sum()
            rows = self.get(f"/api/diary/sums?{SPAN}&by={by}")["rows"]
            with self.subTest(by):
                self.assertEqual({row["key"] for row in rows}, set(sums.index))
                for row in rows:
                    self.assertAlmostEqual(row["sugar_g"], sums[row["key"]], delta=0.02)
        times = self.get(f"/api/diary/sums?{SPAN}&by=time")["rows"]
        self.assertAlmostEqual(sum(row["sugar_g"] for row in times), sugar, delta=0.05)
        recipes = self.get(f"/api/diary/sums?{SPAN}&by=recipe")["rows"]
        self.assertAlmostEqual(sum(row["sugar_g"] for row in recipes), sugar, delta=0.05)

    def test_a_diary_goes_out_and_comes_in_elsewhere_once(self) -> None:
        self._much(12)
        for kind in ("csv", "json"):
            content = self.client.get(f"/api/diary/file?{SPAN}&format={kind}").get_data(as_text=True)
            self.assertEqual(self.post("/api/diary/file", {"content": content}), {"added": 0, "known": 12})
        whole = self.get(f"/api/diary/sums?{SPAN}")["total"]["sugar_g"]
        other = Diary("test_a_retry_counts_once_and_undo_takes_back")
        WithApplication.setUp(other)
        self.addCleanup(other.doCleanups)
        self.assertEqual(other.post("/api/diary/file", {"content": content}), {"added": 12, "known": 0})
        self.assertEqual(other.post("/api/diary/file", {"content": content}), {"added": 0, "known": 12})
        self.assertAlmostEqual(other.get(f"/api/diary/sums?{SPAN}")["total"]["sugar_g"], whole, delta=0.05)

    def test_damaged_diaries_change_nothing(self) -> None:
        good = {"day": "2026-03-02", "what": "x", "grams": 10}
        for content, words in (
            ("", "first row"),
            ("{", "no diary"),
            (json.dumps({"format": "other", "entries": []}), "no diary"),
            (json.dumps({"format": "sun-crumb-diary", "entries": [good, good | {"grams": -1}]}), "row 2"),
            ("day,what,grams\n2026-13-40,x,10\n", "row 1"),
        ):
            error = self.post("/api/diary/file", {"content": content}, 422)["error"]
            with self.subTest(content):
                self.assertIn(words, error["message"])
        self.assertEqual(self.get(f"/api/diary?{SPAN}")["entries"], [])

    def test_no_cell_of_the_export_is_a_formula(self) -> None:
        self.slip("2026-03-02", name="=1+1")
        text = self.client.get(f"/api/diary/file?{SPAN}").get_data(as_text=True)
        self.assertIn("'=1+1", text)
        self.assertEqual(self.post("/api/diary/file", {"content": text})["known"], 1)
