"""Every released schema, with data in it, becomes the newest without losing a row."""

from __future__ import annotations

import sqlite3
import tempfile
import unittest
from datetime import date
from pathlib import Path

from alembic import command
from alembic.config import Config

from sun_crumb.services import ledger, recipes
from sun_crumb.store import Database
from sun_crumb.store.database import MIGRATIONS

# Rows as the first schema held them.
FIRST = """
INSERT INTO recipes (id, title, source_text, cup, revision, created_at) VALUES (1, 'Fig cake', 'Fig cake', 'us', 3, '2026-01-02 08:00:00');
INSERT INTO versions (id, recipe_id, number, label, servings, unit, status, created_at)
  VALUES (1, 1, 1, 'Original', 8, 'slice', '', '2026-01-02 08:00:00'), (2, 1, 2, 'Half', 8, 'slice', 'balanced', '2026-01-03 08:00:00');
INSERT INTO lines (version_id, position, component, ingredient, grams, text, is_crushed, reason)
  VALUES (1, 0, '', 'white_sugar', 200, '1 cup sugar', 0, ''), (1, 1, '', 'plain_flour', 200, '', 0, ''),
         (2, 0, '', 'white_sugar', 100, '1 cup sugar', 0, 'cut'), (2, 1, '', 'plain_flour', 200, '', 0, '');
INSERT INTO bakes (id, version_id, baked_on, servings, portion_g, energy_kcal, total_sugars_g, free_sugars_who_g, saved_energy_kcal,
                   saved_total_sugars_g, saved_free_sugars_who_g, created_at)
  VALUES (1, 2, '2026-01-04', 8, 37.5, 140, 12.5, 12.5, 5, 6.3, 6.2, '2026-01-04 08:00:00');
INSERT INTO servings (id, bake_id, eaten_on, count, who, created_at) VALUES (1, 1, '2026-01-05', 2, 'Ada', '2026-01-05 08:00:00');
INSERT INTO settings (key, value) VALUES ('daily_limit_g', '30.0');
"""


class FromTheFirstSchema(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "old.db"
        config = Config()
        config.set_main_option("script_location", str(MIGRATIONS))
        config.attributes["url"] = f"sqlite:///{self.path}"
        command.upgrade(config, "0001")
        with sqlite3.connect(self.path) as connection:
            connection.executescript(FIRST)
        self.database = Database(self.path)
        self.addCleanup(self.database.close)
        self.database.migrate()

    def test_nothing_is_lost(self) -> None:
        recipe = recipes.get_recipe(self.database, 1)
        self.assertEqual((recipe["title"], recipe["revision"], len(recipe["versions"])), ("Fig cake", 3, 2))
        self.assertEqual([line["grams"] for line in recipe["versions"][1]["lines"]], [100, 200])
        self.assertEqual(recipe["versions"][1]["portions"], [])
        found = ledger.ledger(self.database, date(2026, 1, 1), date(2026, 1, 31))
        self.assertEqual(found["total"]["servings"], 2)
        self.assertAlmostEqual(found["total"]["saved_free_sugars_who_g"], 12.4)
        self.assertEqual(found["servings"][0]["label"], "Half")

    def test_a_copy_was_made_first(self) -> None:
        copies = list(self.path.parent.glob("old.db.before-*"))
        self.assertEqual(len(copies), 1)
        with sqlite3.connect(copies[0]) as connection:
            self.assertEqual(connection.execute("SELECT count(*) FROM lines").fetchone(), (4,))
            self.assertNotIn("kind", [row[1] for row in connection.execute("PRAGMA table_info(bakes)")])

    def test_old_rows_can_be_worked_with(self) -> None:
        bakes = ledger.bake(self.database, 2, date(2026, 1, 6))
        self.assertEqual((len(bakes), bakes[0]["label"]), (1, "Half"))
        self.assertAlmostEqual(bakes[0]["saved_free_sugars_who_g"], (200 / 400 - 100 / 300) * 37.5 * 0.998, places=1)


SECOND = """
UPDATE versions SET portions = '[{"name": "plain", "count": 8, "components": [""]}]', goals =
  '{"path": "less", "cut": 0.5, "keep_sweet": 0.6, "definition": "free_sugars_who_g", "diets": [], "cupboard": null, "families": {}, "locks": {}}'
  WHERE id = 2;
INSERT INTO products (id, label, "like", created_at) VALUES (1, '{"name": "Fig spread"}', 'jam', '2026-02-01 08:00:00');
"""


class FromTheSecondSchema(unittest.TestCase):
    def test_portions_products_and_goals_stay(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        path = Path(folder.name) / "old.db"
        config = Config()
        config.set_main_option("script_location", str(MIGRATIONS))
        config.attributes["url"] = f"sqlite:///{path}"
        command.upgrade(config, "0001")
        with sqlite3.connect(path) as connection:
            connection.executescript(FIRST)
        command.upgrade(config, "0002")
        with sqlite3.connect(path) as connection:
            connection.executescript(SECOND)
        database = Database(path)
        self.addCleanup(database.close)
        database.migrate()
        version = recipes.get_recipe(database, 1)["versions"][1]
        self.assertEqual([(p["name"], p["count"]) for p in version["portions"]], [("plain", 8)])
        self.assertEqual((version["goals"]["cut"], version["goals"]["without"], version["own_yields"]), (0.5, [], {}))
        with sqlite3.connect(path) as connection:
            self.assertEqual(connection.execute("SELECT count(*) FROM products").fetchone(), (1,))
