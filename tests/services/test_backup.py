"""Everything in one open file and back, by value; what is damaged, foreign or newer changes nothing."""

from __future__ import annotations

import json
import sqlite3
import stat
import tempfile
from datetime import date
from pathlib import Path
from typing import Any

from sun_crumb.app import create_app
from sun_crumb.demo import fill
from sun_crumb.formats.backup import digest
from tests.api.test_tastings import jpeg
from tests.support import WithApplication

DAY = date(2026, 3, 20)
KEPT = (
    "recipes",
    "versions",
    "lines",
    "products",
    "bakes",
    "bake_portions",
    "servings",
    "settings",
    "deeds",
    "slips",
    "people",
    "tastings",
    "photos",
    "trials",
    "learned",
    "tapers",
    "challenges",
)


class Household(WithApplication):
    def setUp(self) -> None:
        super().setUp()
        fill(self.database, DAY)
        key = self.post(
            "/api/products", {"name": "Corner spread", "like": "peanut_butter", "fat_g": 42.0, "client_key": "p"}
        )["ingredient"]["key"]
        self.patch("/api/settings", {"daily_limit_g": 30, "prices": {key: 9.5}, "cupboard": [key, "honey"]})
        self.delete("/api/recipes/2")
        self.delete("/api/servings/1")
        bake = self.get("/api/bakes")["bakes"][0]["id"]
        self.post(f"/api/bakes/{bake}/photos", {"content": jpeg()})
        self.post("/api/tastings", {"bake_id": bake, "tasted_on": "2026-06-01", "scores": {"sweetness": 1, "liked": 2}})
        self.post(
            "/api/tests",
            {"bake_id": bake, "other_id": 1, "test": "pair", "tries": 4, "right": 3, "tried_on": "2026-06-01"},
        )
        self.post("/api/people", {"name": "Ines", "diets": ["vegan"]})
        self.post("/api/slips", {"name": "jam", "eaten_on": "2026-06-01", "grams": 20, "sugars_g": 10})
        self.post("/api/recipes/1/taper", {"target": 0.4})
        self.post("/api/challenges", {"name": "quiet", "since": "2026-06-01", "until": "2026-06-07"})
        self.backup = self.get("/api/backup")["content"]

    def rows(self, path: Path | None = None) -> dict[str, list[tuple[Any, ...]]]:
        """Return every row of every table, but for what is computed anew."""
        with sqlite3.connect(path or self.database.path) as connection:
            found = {}
            for table in KEPT:
                names = [row[1] for row in connection.execute(f"PRAGMA table_info({table})")]
                kept = ", ".join(
                    f'"{n}"' for n in names if not n.startswith("figures") and not (table == "lines" and n == "id")
                )
                found[table] = sorted(connection.execute(f"SELECT {kept} FROM {table}"), key=repr)
            return found

    def restore(self, content: str, status: int = 200) -> Any:
        return self.post("/api/restore", {"content": content}, status)


class RoundTrip(Household):
    def test_another_household_gets_every_row_as_it_was(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            other = create_app(Path(folder) / "other.db")
            answer = other.test_client().post("/api/restore", json={"content": self.backup})
            self.assertEqual(answer.status_code, 200, answer.get_data(as_text=True))
            self.assertEqual(self.rows(Path(folder) / "other.db"), self.rows())
            again = json.loads(other.test_client().get("/api/backup").get_json()["content"])
            self.assertEqual(again["household"], json.loads(self.backup)["household"])
            other.extensions["database"].close()

    def test_what_was_there_is_kept_and_comes_back(self) -> None:
        before = self.rows()
        self.post("/api/products", {"name": "Later", "like": "honey"})
        self.patch("/api/settings", {"daily_limit_g": 12})
        later = self.rows()
        done = self.restore(self.backup)
        self.assertEqual(self.rows(), before)
        self.assertEqual((done["recipes"], done["products"]), (5, 1))
        kept = self.database.path.parent / done["kept_as"]
        self.assertEqual(stat.S_IMODE(kept.stat().st_mode), 0o600)
        self.post("/api/restore/undo", {"kept_as": done["kept_as"]})
        self.assertEqual(self.rows(), later)
        for name in ("../x.json", "before-restore-20260101T000000.json", "test.db", ""):
            self.assertIn(self.client.post("/api/restore/undo", json={"kept_as": name}).status_code, (404, 422))

    def test_it_is_one_open_documented_file(self) -> None:
        data = json.loads(self.backup)
        self.assertEqual(
            (data["format"], data["version"], data["sha256"]), ("sun-crumb-backup", 2, digest(data["household"]))
        )
        words = (Path(__file__).parents[2] / "docs" / "backup.md").read_text(encoding="utf-8")
        for part in (  # every level of the file
            data["household"]["bakes"][0]["portions"][0],
            data,
            data["household"],
            data["household"]["recipes"][0],
            data["household"]["recipes"][0]["versions"][0],
        ):
            for name in part:
                self.assertIn(f"`{name}`", words)

    def test_a_damaged_row_is_in_it_and_comes_back_damaged(self) -> None:
        with sqlite3.connect(self.database.path) as connection:
            connection.execute("UPDATE versions SET servings = 0, goals = '{}' WHERE recipe_id = 3")
            connection.execute("INSERT INTO settings VALUES ('diets', '7')")
        backup = self.get("/api/backup")["content"]
        self.assertEqual(json.loads(backup)["damaged"], {"recipes": [3], "products": [], "settings": ["diets"]})
        before = self.rows()
        self.restore(backup)
        self.assertEqual(self.rows(), before)
        self.assertEqual([r["id"] for r in self.get("/api/recipes")["recipes"] if r["damage"]], [3])


class Refused(Household):
    def changed(self, change: Any) -> str:
        """Return the backup with something changed and the digest made right again."""
        data = json.loads(self.backup)
        change(data["household"])
        return json.dumps(data | {"sha256": digest(data["household"])})

    def test_what_is_not_a_whole_backup_of_ours_changes_nothing(self) -> None:
        data = json.loads(self.backup)
        own = self.get("/api/recipes/1/export?format=json")["content"]
        before, files = self.rows(), {
            "empty": "", "no JSON": "recipes", "cut short": self.backup[: len(self.backup) // 2], "a list": "[]", "foreign": '{"format": "songs"}',
            "a recipe": own, "newer": json.dumps(data | {"version": 3}), "a digit changed": self.backup.replace('"count": 2.0', '"count": 3.0'),
            "no digest": json.dumps({k: v for k, v in data.items() if k != "sha256"}), "no household": json.dumps(data | {"household": None}),
            "no portions": self.changed(lambda h: h["recipes"][0]["versions"][0].update(servings=0)),
            "no lines": self.changed(lambda h: h["recipes"][0]["versions"][0].update(lines=[])),
            "a wish for nothing known": self.changed(lambda h: h["recipes"][0]["versions"][0].update(goals={"path": "sideways"})),
            "a food that isn't there": self.changed(lambda h: h["recipes"][0]["versions"][0]["lines"][0].update(ingredient="moon")),
            "a bake of nothing": self.changed(lambda h: h["bakes"][0].update(version_id=99)),
            "a slice of nothing": self.changed(lambda h: h["servings"][0].update(portion_id=99)),
            "a number twice": self.changed(lambda h: h["recipes"][1].update(id=h["recipes"][0]["id"])),
            "a number too high": self.changed(lambda h: h["recipes"][1].update(id=2**63)),
            "a preference that can't be": self.changed(lambda h: h["settings"].update(daily_limit_g=-4)),
            "a product that can't be": self.changed(lambda h: h["products"][0].update(like="fog")),
            "half a character": self.changed(lambda h: h["recipes"][0].update(title="\ud800")),
            "a row too many words": self.changed(lambda h: h["bakes"][0].update(surprise=1)),
            "a tasting of nothing": self.changed(lambda h: h["tastings"][0].update(bake_id=99)),
            "a taper of nothing": self.changed(lambda h: h["tapers"][0].update(recipe_id=99)),
            "a picture that is none": self.changed(lambda h: h["photos"][0].update(jpeg="?")),
            "minus a slice": self.changed(lambda h: h["servings"][0].update(count=-1)),
        }  # fmt: skip
        for name, content in files.items():
            with self.subTest(name):
                error = self.restore(content, 422)["error"]
                self.assertEqual(error["code"], "bad_backup")
                self.assertIn("nothing was changed", error["message"])
                self.assertEqual(self.rows(), before)
