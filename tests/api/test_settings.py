"""How a household measures, its ovens and its scoops: one place, and all that is told goes by it."""

from __future__ import annotations

from typing import Any

from tests.core.method_cases import FIRST
from tests.support import WithApplication

CUPS = """Cinnamon cookies
Makes 24
2 cups flour
1 cup sugar
1/2 cup butter
1 egg
1 tsp cinnamon

1. Heat the oven to 180 °C.
2. Cream the butter and sugar, beat in the egg, stir in the flour and cinnamon.
3. Roll into balls and bake for 12 minutes.
"""


class Settings(WithApplication):
    def change(self, **changes: Any) -> Any:
        return self.patch("/api/settings", changes)

    def _told(self, recipe: int) -> dict[str, str]:
        plan = self.post(f"/api/recipes/{recipe}/rework", {"path": "blend", "cut": 0.3})
        return {line["ingredient"]: line["household"] for line in plan["lines"]}

    def test_amounts_are_told_as_the_household_measures(self) -> None:
        recipe = self.keep_cake(CUPS)["id"]
        self.assertEqual(self._told(recipe)["plain_flour"], "2 cups")
        self.change(units="grams")
        self.assertEqual(self._told(recipe)["plain_flour"], "250 g")
        seen = self.post(f"/api/recipes/{recipe}/preview", {"path": "blend", "cut": 0.3, "support": []})
        self.assertFalse(any("cup" in line["household"] for line in seen["lines"]))
        kept = self.post(f"/api/recipes/{recipe}/versions", {"path": "blend", "cut": 0.3})["versions"][-1]["id"]
        day = self.get(f"/api/recipes/{recipe}/versions/{kept}/bake-day")
        self.assertIn("250 g", " ".join(step["text"] for step in day["method"]["steps"]))
        by_weight = self.keep_cake(FIRST[0].text)["id"]
        self.change(units="spoons")
        self.assertIn("cup", self._told(by_weight)["plain_flour"])
        self.change(units="recipe")
        self.assertEqual(self._told(by_weight)["plain_flour"], "200 g")

    def test_amounts_are_told_by_the_households_own_cup(self) -> None:
        """A metric cup holds 250 ml, a US one 236.6 (common practice): two of these are fewer of those."""
        recipe = self.keep_cake(CUPS)["id"]
        self.change(cup="metric")
        self.assertNotEqual(self._told(recipe)["butter"], "½ cup")
        self.change(cup="")
        self.assertEqual(self._told(recipe)["butter"], "½ cup")

    def test_the_oven_in_use_is_the_one_that_is_spoken_of(self) -> None:
        self.change(oven_fan=True, oven_hot_side="left")
        big = {"name": "big", "fan": True, "offset_c": 0, "hot_side": "left"}
        small = {"name": "small", "fan": False, "offset_c": 12, "hot_side": ""}
        found = self.change(ovens=[big, small], oven="small")
        self.assertEqual((found["oven_fan"], found["oven_offset_c"], found["oven_hot_side"]), (False, 12, ""))
        found = self.change(oven_offset_c=8)
        self.assertEqual({one["name"]: one["offset_c"] for one in found["ovens"]}, {"big": 0, "small": 8})
        found = self.change(oven="big")
        self.assertEqual((found["oven_fan"], found["oven_offset_c"], found["oven_hot_side"]), (True, 0, "left"))
        found = self.change(ovens=[], oven="")
        self.assertEqual((found["oven"], found["oven_fan"]), ("", True))

    def test_heat_is_told_by_the_households_scale(self) -> None:
        recipe = self.keep_cake(FIRST[0].text)
        address = f"/api/recipes/{recipe['id']}/versions/{recipe['versions'][0]['id']}/bake-day"
        self.assertEqual({s["dial"] for s in self.get(address)["method"]["steps"]}, {""})
        self.change(temperature="f")
        self.assertIn("355 °F on your dial", {s["dial"] for s in self.get(address)["method"]["steps"]})

    def test_two_ovens_bake_two_cakes_at_once(self) -> None:
        places = []
        for heat in ("180 °C", "150 °C"):
            recipe = self.keep_cake(FIRST[0].text.replace("180 °C", heat).replace("Honey spice", f"{heat} spice"))
            places.append((recipe["id"], recipe["versions"][0]["id"]))
        body = {"serve": "2031-05-03T16:00", "beside": [{"recipe_id": places[1][0], "version_id": places[1][1]}]}

        def start() -> str:
            return str(
                self.post(f"/api/recipes/{places[0][0]}/versions/{places[0][1]}/schedule", body)["tasks"][0]["start"]
            )

        one = start()
        self.change(ovens=[{"name": "big"}, {"name": "small"}], oven="big")
        self.assertGreater(start(), one)

    def test_a_scoop_that_is_owned_is_named_where_dough_is_rolled(self) -> None:
        recipe = self.keep_cake(CUPS)
        address = f"/api/recipes/{recipe['id']}/versions/{recipe['versions'][0]['id']}/bake-day"
        self.change(scoops=[8, 40])
        notes = [note for step in self.get(address)["method"]["steps"] for note in step["notes"]]
        self.assertTrue(any(note.startswith("Your no. 40 scoop holds about 26 g") for note in notes), notes)
        self.change(scoops=[8])
        notes = [note for step in self.get(address)["method"]["steps"] for note in step["notes"]]
        self.assertFalse(any("scoop" in note for note in notes))
        worked = self.post("/api/workshop/scoop", {"given": {"grams": "900", "pieces": "30"}})
        self.assertIn("no. 35", worked["words"][0])

    def test_what_no_kitchen_has_is_refused_by_name(self) -> None:
        for wrong, field in (
            ({"scoops": [400]}, "scoops.0"),
            ({"units": "stones"}, "units"),
            ({"cup": "mug"}, "cup"),
            ({"temperature": "k"}, "temperature"),
            ({"ovens": [{"name": ""}]}, "ovens.0.name"),
            ({"ovens": [{"name": "big"}, {"name": "big"}]}, "ovens"),
        ):
            error = self.client.patch("/api/settings", json=wrong)
            with self.subTest(field):
                self.assertEqual((error.status_code, error.get_json()["error"]["field"]), (422, field))
        self.assertEqual(self.get("/api/settings")["scoops"], [])
