"""Every released schema, with data in it, becomes the newest without losing a row."""

from __future__ import annotations

import sqlite3
import tempfile
import unittest
from datetime import date
from pathlib import Path

from sun_crumb.services import bakes, ledger, recipes
from sun_crumb.store import Database
from tests.store.released import database_at


class FromTheFirstSchema(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "old.db"
        database_at(self.path, "0001")
        self.database = Database(self.path)
        self.addCleanup(self.database.close)
        self.database.migrate()

    def test_nothing_is_lost(self) -> None:
        recipe = recipes.get_recipe(self.database, 1)
        self.assertEqual((recipe.title, recipe.revision, len(recipe.versions)), ("Fig cake", 3, 2))
        self.assertEqual([line.grams for line in recipe.versions[1].lines], [100, 200])
        self.assertEqual(recipe.versions[1].portions, ())
        found = ledger.ledger(self.database, date(2026, 1, 1), date(2026, 1, 31))
        self.assertEqual(found.total.servings, 2)
        self.assertAlmostEqual(found.total.saved_free_sugars_who_g, 12.4)
        self.assertEqual(found.servings[0].label, "Half")

    def test_a_copy_was_made_first(self) -> None:
        copies = list(self.path.parent.glob("old.db.before-*"))
        self.assertEqual(len(copies), 1)
        with sqlite3.connect(copies[0]) as connection:
            self.assertEqual(connection.execute("SELECT count(*) FROM lines").fetchone(), (4,))
            self.assertNotIn("kind", [row[1] for row in connection.execute("PRAGMA table_info(bakes)")])

    def test_old_rows_can_be_worked_with(self) -> None:
        made = bakes.bake(self.database, 2, date(2026, 1, 6))
        self.assertEqual((len(made), made[0].label), (1, "Half"))
        self.assertAlmostEqual(made[0].saved_free_sugars_who_g, (200 / 400 - 100 / 300) * 37.5 * 0.998, places=1)


class FromTheSecondSchema(unittest.TestCase):
    def test_portions_products_and_goals_stay(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        path = Path(folder.name) / "old.db"
        database_at(path, "0002")
        database = Database(path)
        self.addCleanup(database.close)
        database.migrate()
        version = recipes.get_recipe(database, 1).versions[1]
        self.assertEqual([(p.name, p.count) for p in version.portions], [("plain", 8)])
        self.assertEqual((version.goals.cut, version.goals.without, version.own_yields), (0.5, [], {}))
        with sqlite3.connect(path) as connection:
            self.assertEqual(connection.execute("SELECT count(*) FROM products").fetchone(), (1,))
