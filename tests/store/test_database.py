"""The database: migrations, transactions, a sudden end."""

from __future__ import annotations

import os
import signal
import sqlite3
import subprocess
import sys
import tempfile
import threading
import unittest
from datetime import date
from pathlib import Path

from alembic.autogenerate import compare_metadata
from alembic.migration import MigrationContext

from sun_crumb.demo import fill
from sun_crumb.services import ledger, shelf
from sun_crumb.store import Database
from sun_crumb.store.tables import Base, Recipe

WRITER = """
import sys
from pathlib import Path
from sun_crumb.services import kitchen, recipes
from sun_crumb.store import Database
database = Database(Path(sys.argv[1]))
for n in range(10_000):
    lines = [kitchen.PlainLine("white_sugar", 100.0), kitchen.PlainLine("plain_flour", 100.0)]
    made = recipes.keep_recipe(database, recipes.NewRecipe(f"Cake {n}", lines, 4))
    print(made.id, flush=True)
"""


class Stored(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "test.db"
        self.database = Database(self.path)
        self.addCleanup(self.database.close)
        self.database.migrate()

    def test_migrations_make_the_tables_that_the_code_knows(self) -> None:
        with self.database.engine.connect() as connection:
            self.assertEqual(compare_metadata(MigrationContext.configure(connection), Base.metadata), [])

    def test_migrating_again_changes_nothing(self) -> None:
        fill(self.database, date(2026, 3, 20))
        before = shelf.list_recipes(self.database)
        self.database.migrate()
        self.assertEqual(shelf.list_recipes(self.database), before)

    def test_a_failed_transaction_leaves_nothing(self) -> None:
        with self.assertRaises(RuntimeError), self.database.transaction() as session:
            session.add(Recipe(title="half", created_at=self.database.clock.now()))
            session.flush()
            raise RuntimeError
        self.assertEqual(shelf.list_recipes(self.database).total, 0)

    def test_foreign_keys_and_write_ahead_log_are_on(self) -> None:
        with self.database.engine.connect() as connection:
            self.assertEqual(connection.exec_driver_sql("PRAGMA foreign_keys").scalar(), 1)
            self.assertEqual(connection.exec_driver_sql("PRAGMA journal_mode").scalar(), "wal")

    def test_threads_that_read_then_write_lose_no_update(self) -> None:
        fill(self.database, date(2026, 3, 20))
        bake_id = ledger.ledger(self.database, date(2026, 3, 1), date(2026, 3, 20)).bakes[0].id

        def eat() -> None:
            for _ in range(10):
                ledger.eat(self.database, bake_id, date(2026, 3, 21), 1)

        threads = [threading.Thread(target=eat) for _ in range(4)]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
        self.assertEqual(ledger.ledger(self.database, date(2026, 3, 21), date(2026, 3, 21)).total.servings, 40)

    def test_a_kill_in_the_middle_of_writes_loses_nothing_acknowledged(self) -> None:
        writer = subprocess.Popen([sys.executable, "-c", WRITER, str(self.path)], stdout=subprocess.PIPE, text=True)
        assert writer.stdout is not None
        acknowledged = [int(writer.stdout.readline()) for _ in range(15)]
        os.kill(writer.pid, signal.SIGKILL)
        acknowledged += [int(line) for line in writer.stdout.read().split("\n")[:-1]]
        writer.stdout.close()
        writer.wait()
        stored = {r.id for r in shelf.list_recipes(Database(self.path), count=500).recipes}
        self.assertLessEqual(set(acknowledged), stored)
        with sqlite3.connect(self.path) as connection:
            self.assertEqual(connection.execute("PRAGMA integrity_check").fetchone(), ("ok",))

    def test_the_demo_household_is_real(self) -> None:
        today = date(2026, 3, 20)
        fill(self.database, today)
        fill(self.database, today)
        rows = shelf.list_recipes(self.database).recipes
        self.assertGreaterEqual(len(rows), 5)
        self.assertGreaterEqual(sum(len(r.versions) - 1 for r in rows), 2)
        found = ledger.ledger(self.database, date(2026, 3, 7), today)
        self.assertGreaterEqual(len(found.bakes), 3)
        self.assertGreaterEqual(len(found.days), 8)
        self.assertGreater(found.total.saved_free_sugars_who_g, 20)
