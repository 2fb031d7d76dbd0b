"""Bakes, tastings, what they teach, trials, tapers and panels through the real application."""

from __future__ import annotations

import base64
import io
from typing import Any

from PIL import Image
from PIL.TiffImagePlugin import IFDRational

from tests.core.method_cases import FIRST
from tests.support import WithApplication

CAKE = FIRST[0].text


def jpeg(size: tuple[int, int] = (1600, 900), *, where: bool = False) -> str:
    """Return a picture as base64, with a place written into it where that is asked."""
    image, out = Image.new("RGB", size, (180, 120, 60)), io.BytesIO()
    exif = Image.Exif()
    if where:
        exif.get_ifd(0x8825).update({1: "N", 2: (IFDRational(52), IFDRational(5), IFDRational(0))})
        exif[0x010F] = "A camera"
        exif[0x0112] = 6
    image.save(out, "JPEG", exif=exif)
    return base64.b64encode(out.getvalue()).decode()


class Tasting(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        self.recipe = self.keep_cake(CAKE)["id"]
        made = self.post(f"/api/recipes/{self.recipe}/versions", {"path": "zero", "cut": 0.6})
        self.original, self.version = (v["id"] for v in made["versions"])
        self.bake = self.baked(self.version)

    def baked(self, version: int, day: str = "2026-03-01") -> Any:
        return self.post("/api/bakes", {"version_id": version, "baked_on": day})["bakes"][0]

    def taste(self, status: int = 200, **more: Any) -> Any:
        body = {
            "bake_id": self.bake["event_id"],
            "tasted_on": "2026-03-02",
            "scores": {"sweetness": -1, "liked": 1},
        } | more
        return self.post("/api/tastings", body, status)

    def test_what_was_done_is_kept_with_the_bake(self) -> None:
        number = self.bake["event_id"]
        done = {
            "tin": "20 cm",
            "oven_c": 175,
            "minutes": 38,
            "feel": "drops",
            "notes": "rose well",
            "swapped": "oat milk",
            "cost": 4.2,
            "leftovers": 2,
        }
        changed = self.patch(f"/api/bakes/{number}", done)["bake"]
        self.assertEqual({k: changed[k] for k in done}, done)
        self.assertEqual(self.patch(f"/api/bakes/{number}", {"notes": "again"})["bake"]["tin"], "20 cm")
        self.assertEqual(self.get(f"/api/bakes/{number}")["notes"], "again")
        for bad, field in (
            ({"minutes": -1}, "minutes"),
            ({"feel": "wobbles"}, "feel"),
            ({"oven_c": 900}, "oven_c"),
            ({"pieces": 0}, "pieces"),
        ):
            error = self.patch(f"/api/bakes/{number}", bad, 422)["error"]
            self.assertEqual(error["field"], field)
        listed = self.get("/api/bakes?count=1")
        self.assertEqual((listed["total"], listed["bakes"][0]["id"]), (1, number))

    def test_a_cut_into_other_pieces_keeps_what_was_eaten_honest(self) -> None:
        number, before = self.bake["event_id"], self.bake["free_sugars_who_g"]
        eaten = self.post("/api/servings", {"bake_id": self.bake["id"], "eaten_on": "2026-03-02", "count": 2})
        changed = self.patch(f"/api/bakes/{number}", {"pieces": self.bake["servings"] * 2})
        self.assertIn("keep their figures", changed["figures"])
        ledger = self.get("/api/ledger?since=2026-03-01&until=2026-03-05")
        self.assertAlmostEqual(ledger["total"]["free_sugars_who_g"], eaten["free_sugars_who_g"], places=2)
        halves = changed["bake"]["portions"][-1]
        self.assertAlmostEqual(halves["free_sugars_who_g"], before / 2, delta=0.02)
        # Asked for, what was eaten is counted anew, and that is said.
        other = self.baked(self.version)
        self.post("/api/servings", {"bake_id": other["id"], "eaten_on": "2026-03-02", "count": 1})
        anew = self.patch(f"/api/bakes/{other['event_id']}", {"pieces": other["servings"] * 2, "anew": True})
        self.assertIn("counted anew", anew["figures"])
        self.assertAlmostEqual(anew["bake"]["portions"][0]["free_sugars_who_g"], before / 2, delta=0.02)

    def test_a_bake_that_was_eaten_is_not_put_away(self) -> None:
        number = self.bake["event_id"]
        eaten = self.post("/api/servings", {"bake_id": self.bake["id"], "eaten_on": "2026-03-02", "count": 1})
        self.assertIn("take those back first", self.delete(f"/api/bakes/{number}", 422)["error"]["message"])
        self.delete(f"/api/servings/{eaten['id']}")
        self.delete(f"/api/bakes/{number}")
        self.get(f"/api/bakes/{number}", 404)
        self.post("/api/servings", {"bake_id": self.bake["id"], "eaten_on": "2026-03-02", "count": 1}, 404)
        self.assertEqual(self.post(f"/api/bakes/{number}/restore")["id"], number)

    def test_pictures_are_made_small_upright_and_placeless(self) -> None:
        number = self.bake["event_id"]
        made = self.post(f"/api/bakes/{number}/photos", {"content": jpeg(where=True), "client_key": "p1"})
        self.assertEqual(
            self.post(f"/api/bakes/{number}/photos", {"content": jpeg(where=True), "client_key": "p1"}), made
        )
        answer = self.client.get(f"/api/photos/{made['id']}")
        self.assertEqual(answer.mimetype, "image/jpeg")
        with Image.open(io.BytesIO(answer.data)) as kept:
            self.assertEqual(dict(kept.getexif()), {})
            self.assertEqual(kept.size, (720, 1280))
        self.assertEqual(self.get(f"/api/bakes/{number}")["photos"], [made["id"]])
        text = base64.b64encode(b"a text file named cake.jpg").decode()
        bomb = io.BytesIO()
        Image.new("1", (9000, 9000)).save(bomb, "PNG")
        for content, words in (
            (text, "no picture"),
            ("%%%", "base64"),
            (base64.b64encode(bomb.getvalue()).decode(), "too many points"),
        ):
            error = self.post(f"/api/bakes/{number}/photos", {"content": content}, 422)["error"]
            self.assertEqual((error["code"], error["field"]), ("unreadable_picture", "content"))
            self.assertIn(words, error["message"])
        huge = self.client.post(f"/api/bakes/{number}/photos", json={"content": "A" * 50_000_000})
        self.assertEqual(huge.status_code, 413)
        self.delete(f"/api/photos/{made['id']}")
        self.get(f"/api/photos/{made['id']}", 404)
        self.post(f"/api/photos/{made['id']}/restore")
        self.assertEqual(self.get(f"/api/bakes/{number}")["photos"], [made["id"]])

    def test_a_tasting_is_kept_once_and_teaches(self) -> None:
        first = self.taste(client_key="t1", who="Ines", is_blind=True, words="good with tea")
        self.assertEqual(self.taste(client_key="t1", who="Ines", is_blind=True, words="good with tea"), first)
        self.assertEqual(first["said"], ["sweetness: a little less sweet", "again: with a change"])
        learned = self.get("/api/learned")["lessons"]
        lessons = {one["kind"]: one for one in learned}
        self.assertLess(lessons["food"]["value"], 1)
        self.assertGreater(lessons["preference"]["value"], 1)
        self.assertTrue(all(one["low"] < one["value"] < one["high"] for one in lessons.values()))
        self.delete(f"/api/tastings/{first['id']}")
        self.assertEqual(self.get("/api/learned")["lessons"], [])
        self.post(f"/api/tastings/{first['id']}/restore")
        self.assertEqual(self.get("/api/learned")["lessons"], learned)
        self.delete("/api/learned")
        self.assertEqual(self.get("/api/learned")["lessons"], [])
        self.assertEqual(self.post("/api/learned/restore")["lessons"], learned)

    def test_what_was_learned_is_in_the_next_plan(self) -> None:
        def sweetened() -> float:
            plan = self.post(f"/api/recipes/{self.recipe}/rework", {"path": "zero", "cut": 0.6})
            return sum(x["after_g"] for x in plan["lines"] if x["ingredient"] == "stevia_erythritol")

        before = sweetened()
        for _ in range(4):
            self.taste(scores={"sweetness": 2})
        self.assertLess(sweetened(), before)

    def test_how_sweet_a_household_likes_things_is_in_a_new_wish(self) -> None:
        def wished(path: str) -> Any:
            return next(p["preset"]["keep_sweet"] for p in self.get("/api/choices")["paths"] if p["key"] == path)

        before, less = wished("blend"), wished("less")
        self.bake = self.baked(self.original)
        for _ in range(3):
            self.taste(scores={"sweetness": 2})
        self.assertLess(wished("blend"), before - 0.05)
        self.assertEqual(wished("less"), less)
        self.delete("/api/learned")
        self.assertEqual(wished("blend"), before)

    def test_bad_sheets_name_the_field(self) -> None:
        for bad, field in (
            ({"scores": {}}, "scores"),
            ({"scores": {"charm": 1}}, "scores"),
            ({"scores": {"bitter": -2}}, "scores.bitter"),
            ({"tasted_on": "2026-02-01"}, "tasted_on"),
            ({"tasted_on": "3099-01-01"}, "tasted_on"),
            ({"state": "frozen"}, "state"),
        ):
            with self.subTest(field):
                self.assertEqual(self.taste(422, **bad)["error"]["field"], field)
        self.taste(404, bake_id=999)

    def test_a_cause_is_told_with_its_trial_and_accepted_as_a_version(self) -> None:
        self.patch(f"/api/bakes/{self.bake['event_id']}", {"minutes": 30, "feel": "holds"})
        self.taste(scores={"moisture": -1, "cooling": 1, "liked": 1})
        found = self.get(f"/api/bakes/{self.bake['event_id']}/judged")
        self.assertEqual(found["mean"]["moisture"], -1)
        shares = [why["cause"]["likely"] for why in found["causes"] if why["cause"]["aspect"] == "moisture"]
        self.assertEqual(shares, sorted(shares, reverse=True))
        cool = next(why for why in found["causes"] if why["cause"]["key"] == "cool_polyol")
        self.assertTrue(any("sugar alcohols" in sign for sign in cool["cause"]["signs"]), cool)
        moved = {m["ingredient"]: m for m in cool["trial"]["moved"]}
        self.assertLess(moved["stevia_erythritol"]["after_g"], moved["stevia_erythritol"]["before_g"])
        body = {"cause": "cool_polyol", "client_key": "try"}
        accepted = self.post(f"/api/bakes/{self.bake['event_id']}/trial", body)
        self.assertEqual(self.post(f"/api/bakes/{self.bake['event_id']}/trial", body), accepted)
        tree = self.get(f"/api/recipes/{self.recipe}/progress")["branches"]
        self.assertEqual([b["parent"] for b in tree], [None, 1, 2])
        self.assertIn("→", tree[-1]["changed"])
        kept = next(v for v in self.get(f"/api/recipes/{self.recipe}")["versions"] if v["id"] == accepted["version_id"])
        grams = {x["ingredient"]: x["grams"] for x in kept["lines"]}
        self.assertAlmostEqual(grams["stevia_erythritol"], moved["stevia_erythritol"]["after_g"], delta=0.01)
        self.post(f"/api/bakes/{self.bake['event_id']}/trial", {"cause": "haunted"}, 404)

    def test_the_tree_marks_the_best_and_says_what_was_learned(self) -> None:
        self.taste(scores={"sweetness": 0, "liked": 2})
        other = self.post(f"/api/recipes/{self.recipe}/versions", {"path": "zero", "cut": 0.9})["versions"][-1]
        bake = self.baked(other["id"])
        self.taste(bake_id=bake["event_id"], scores={"cooling": 2, "liked": 0})
        found = self.get(f"/api/recipes/{self.recipe}/progress")
        self.assertEqual([b["number"] for b in found["branches"] if b["is_best"]], [2])
        self.assertLessEqual(len(found["lines"]), 5)
        self.assertIn("was not liked: cool aftertaste: clearly", " ".join(found["lines"]))

    def test_a_taper_goes_on_where_it_is_liked(self) -> None:
        begun = self.post(f"/api/recipes/{self.recipe}/taper", {"target": 0.3})
        self.assertEqual(begun["taper"]["stand"]["state"], "begin")
        step = self.post(f"/api/recipes/{self.recipe}/taper/next", {"client_key": "n1"})["version_id"]
        self.assertEqual(self.post(f"/api/recipes/{self.recipe}/taper/next", {"client_key": "n1"})["version_id"], step)
        bake = self.baked(step, "2026-03-03")
        self.assertIn("tasting first", self.post(f"/api/recipes/{self.recipe}/taper/next", {}, 422)["error"]["message"])
        self.taste(bake_id=bake["event_id"], tasted_on="2026-03-04", scores={"liked": 3})
        found = self.get(f"/api/recipes/{self.recipe}/progress")
        stand = found["taper"]["stand"]
        self.assertEqual((stand["state"], stand["liked_cut"] < stand["next_cut"]), ("go on", True))
        self.assertEqual((found["branches"][-1]["parent"], found["branches"][-1]["changed"]), (1, "taper to 8 % less"))
        self.delete(f"/api/recipes/{self.recipe}/taper")
        self.post(f"/api/recipes/{self.recipe}/taper/next", {}, 422)
        self.assertEqual(
            self.post(f"/api/recipes/{self.recipe}/taper", {"target": 1.5}, 422)["error"]["field"], "target"
        )

    def test_how_long_a_bake_took_and_what_the_oven_does_go_into_the_next(self) -> None:
        address = f"/api/recipes/{self.recipe}/versions/{self.version}/bake-day"

        def baking() -> Any:
            return next(s for s in self.get(address)["method"]["steps"] if s["wait"] and s["wait"]["kind"] == "bake")

        self.assertFalse(any("Last time" in note for note in baking()["notes"]))
        self.patch(f"/api/bakes/{self.bake['event_id']}", {"minutes": 51})
        self.assertIn("Last time (Rework 1) it took 51 minutes.", baking()["notes"])
        self.assertEqual(baking()["dial"], "")
        for _ in range(4):
            self.taste(scores={"colour": 2})
            self.bake = self.baked(self.version)
        self.assertIn("hot", baking()["dial"])
        for _ in range(3):
            self.taste(scores={"moisture": -2})
            self.bake = self.baked(self.version)
        self.assertTrue(any("more liquid than recipes tell" in word for word in self.get(address)["cautions"]))
        trial = self.post(f"/api/bakes/{self.get('/api/bakes')['bakes'][-1]['id']}/trial", {"cause": "dark_sugar"})
        address = f"/api/recipes/{self.recipe}/versions/{trial['version_id']}/bake-day"
        self.assertTrue(any("This is the trial of −" in note for note in baking()["notes"]), baking()["notes"])

    def test_two_bakes_told_apart(self) -> None:
        other = self.baked(self.original)
        body = {
            "bake_id": self.bake["event_id"],
            "other_id": other["event_id"],
            "test": "triangle",
            "tries": 6,
            "right": 5,
            "tried_on": "2026-03-02",
        }
        made = self.post("/api/tests", body)
        self.assertAlmostEqual(made["result"]["probability"], 13 / 729, places=9)
        self.assertEqual(self.get(f"/api/bakes/{other['event_id']}/tests")["tests"], [made])
        for bad, field in (({"right": 7}, "right"), ({"other_id": self.bake["event_id"]}, "other_id")):
            self.assertEqual(self.post("/api/tests", body | bad, 422)["error"]["field"], field)

    def test_panels_of_a_version(self) -> None:
        found = self.get(f"/api/versions/{self.version}/panels")
        self.assertEqual((found["us"]["law"], found["eu"]["serving_g"]), ("US", 100.0))
        self.assertTrue(all("estimate" in law["notes"][0].lower() for law in (found["us"], found["eu"])))
        said = {claim["key"]: claim for claim in found["claims"]}
        self.assertEqual((len(said), said["us_no_added"]["is_allowed"]), (8, False))
        self.get("/api/versions/9999/panels", 404)

    def test_bakes_to_taste_are_listed_until_they_are(self) -> None:
        today = self.database.clock.today().isoformat()
        bake = self.baked(self.version, today)
        self.assertEqual([b["bake_id"] for b in self.get("/api/untasted")["bakes"]], [bake["event_id"]])
        self.taste(bake_id=bake["event_id"], tasted_on=today)
        self.assertEqual(self.get("/api/untasted")["bakes"], [])
