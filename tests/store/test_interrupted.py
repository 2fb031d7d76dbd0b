"""A migration stopped at any moment: the next start has everything, and the safety copy is never made worse."""

from __future__ import annotations

import os
import random
import shutil
import signal
import sqlite3
import stat
import tempfile
import time
import unittest
from datetime import date
from pathlib import Path

from alembic import command

from sun_crumb.services import ledger, recipes
from sun_crumb.store import Database
from sun_crumb.store.errors import DataFolderError
from sun_crumb.store.migrating import config_of, newest_revision, safety_copy
from tests.store.released import REVISIONS, database_at

STOPS = 200


def migrate_and_die(path: Path, after_s: float) -> None:
    """Migrate *path* in a process of its own that is killed after *after_s* seconds."""
    child = os.fork()
    if not child:
        try:
            Database(path).migrate()
        finally:
            os._exit(0)
    time.sleep(after_s)
    os.kill(child, signal.SIGKILL)
    os.waitpid(child, 0)


class Folder(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)
        self.path = self.folder / "sun-crumb.db"

    def start(self) -> Database:
        database = Database(self.path)
        self.addCleanup(database.close)
        database.migrate()
        return database

    def assertWhole(self, database: Database) -> None:
        recipe = recipes.get_recipe(database, 1)
        self.assertEqual([len(v.lines) for v in recipe.versions], [2, 2])
        total = ledger.ledger(database, date(2026, 1, 1), date(2026, 1, 31)).total
        self.assertEqual((total.servings, total.saved_free_sugars_who_g), (2, 12.4))
        with sqlite3.connect(self.path) as connection:
            self.assertEqual(connection.execute("PRAGMA integrity_check").fetchone(), ("ok",))
            self.assertEqual(connection.execute("SELECT value FROM settings").fetchall(), [(30,)])


class Stopped(Folder):
    def test_stopped_at_random_moments_it_always_starts_again_with_everything(self) -> None:
        chance = random.Random(4)
        originals = {revision: database_at(self.folder / f"{revision}.db", revision) for revision in REVISIONS}
        start = time.monotonic()
        fresh = self.folder / "timed"
        fresh.mkdir()
        Database(fresh / "new.db").migrate()
        longest = time.monotonic() - start
        for stop in range(STOPS):
            revision = (*REVISIONS, None)[stop % (len(REVISIONS) + 1)]
            with self.subTest(stop, revision=revision), tempfile.TemporaryDirectory() as name:
                self.path = Path(name) / "sun-crumb.db"
                if revision:
                    shutil.copy(originals[revision], self.path)
                for _ in range(chance.choice((1, 1, 2))):
                    migrate_and_die(self.path, chance.uniform(0, longest))
                database = Database(self.path)
                database.migrate()
                if revision:
                    self.assertWhole(database)
                    copies = list(Path(name).glob(f"*.before-{revision}*"))
                    self.assertEqual(len(copies), 1)
                    with sqlite3.connect(copies[0]) as copy:
                        self.assertEqual(
                            copy.execute("SELECT version_num FROM alembic_version").fetchone(), (revision,)
                        )
                        self.assertEqual(copy.execute("SELECT count(*) FROM lines").fetchone(), (4,))
                database.close()


class LeftHalfDone(Folder):
    """What releases that committed table by table left when they were stopped."""

    def run_sql(self, script: str) -> None:
        with sqlite3.connect(self.path) as connection:
            connection.executescript(script)

    def test_a_new_database_with_some_tables_and_no_revision(self) -> None:
        command.upgrade(config_of(self.path), "0001")
        for script in (
            "DELETE FROM alembic_version",
            "DROP TABLE servings; DROP TABLE lines",
            "DROP TABLE alembic_version",
        ):
            self.run_sql(script)
            kept = self.folder / "kept.db"
            shutil.copy(self.path, kept)
            with self.subTest(script):
                database = Database(self.path)
                database.migrate()
                database.close()
                with sqlite3.connect(self.path) as connection:
                    self.assertEqual(
                        connection.execute("SELECT version_num FROM alembic_version").fetchone(), (newest_revision(),)
                    )
            shutil.move(kept, self.path)

    def test_an_upgrade_with_tables_made_columns_added_or_copies_left(self) -> None:
        new_table = 'CREATE TABLE products (id INTEGER PRIMARY KEY, label JSON, "like" VARCHAR, created_at DATETIME, deleted_at DATETIME);'
        copy = "CREATE TABLE _alembic_tmp_versions AS SELECT * FROM versions WHERE id = 1;"
        for script in (
            new_table,
            new_table + copy,
            new_table + "ALTER TABLE versions ADD COLUMN portions JSON; DROP INDEX ix_versions_recipe_id;",
            "PRAGMA legacy_alter_table=ON; ALTER TABLE bakes RENAME TO _alembic_tmp_bakes; DROP INDEX ix_bakes_baked_on;"
            + new_table,
            "ALTER TABLE bakes ADD COLUMN kind VARCHAR NOT NULL DEFAULT '';",
        ):
            with self.subTest(script), tempfile.TemporaryDirectory() as name:
                self.path = database_at(Path(name) / "sun-crumb.db", "0001")
                self.run_sql(script)
                database = self.start()
                self.assertWhole(database)
                with sqlite3.connect(self.path) as connection:
                    indexes = {
                        row[0] for row in connection.execute("SELECT name FROM sqlite_master WHERE type = 'index'")
                    }
                self.assertIn("ix_versions_recipe_id", indexes)
                database.close()


class SafetyCopy(Folder):
    def test_it_is_made_once_for_a_state_and_never_written_over(self) -> None:
        database_at(self.path, "0003")
        first = safety_copy(self.path, "0003")
        self.assertEqual(safety_copy(self.path, "0003"), first)
        with sqlite3.connect(self.path) as connection:
            connection.execute("DELETE FROM lines")
        worse = safety_copy(self.path, "0003")
        self.assertNotEqual(worse, first)
        with sqlite3.connect(first) as copy:
            self.assertEqual(copy.execute("SELECT count(*) FROM lines").fetchone(), (4,))

    def test_a_copy_that_is_no_database_is_left_and_another_made(self) -> None:
        database_at(self.path, "0003")
        (self.folder / "sun-crumb.db.before-0003").write_text("not a database")
        self.assertEqual(safety_copy(self.path, "0003").name, "sun-crumb.db.before-0003-2")

    def test_only_its_owner_reads_the_database_and_its_copies(self) -> None:
        database_at(self.path, "0002").chmod(0o644)
        self.start()
        for path in self.folder.glob("sun-crumb.db*"):
            with self.subTest(path.name):
                self.assertEqual(stat.S_IMODE(path.stat().st_mode) & 0o077, 0)


class BothWays(Folder):
    def test_up_and_down_again_keeps_rows_and_keys(self) -> None:
        database_at(self.path, "0003")
        command.upgrade(config_of(self.path), "head")
        with sqlite3.connect(self.path) as connection:
            deeds = set(connection.execute("SELECT key, what, made FROM deeds"))
        self.assertEqual(deeds, {("slice", "serving", "[1]"), ("bake", "bake", "[1]")})
        command.downgrade(config_of(self.path), "0003")
        with sqlite3.connect(self.path) as connection:
            self.assertEqual(
                connection.execute("SELECT client_key FROM bakes ORDER BY id").fetchall(),
                [("bake/0",), (None,), (None,), (None,)],
            )
            self.assertEqual(
                connection.execute("SELECT client_key FROM servings ORDER BY id").fetchall(), [("slice",), (None,)]
            )
            self.assertEqual(connection.execute("SELECT count(*) FROM lines").fetchone(), (4,))
        self.assertWhole(self.start())

    def test_what_was_a_row_for_each_kind_becomes_a_bake_with_portions_and_back(self) -> None:
        database_at(self.path, "0003")
        with sqlite3.connect(self.path) as connection:
            before = connection.execute("SELECT * FROM bakes ORDER BY id").fetchall()
        command.upgrade(config_of(self.path), "head")
        with sqlite3.connect(self.path) as connection:
            events = connection.execute("SELECT id, version_id, baked_on FROM bakes ORDER BY id").fetchall()
            portions = connection.execute("SELECT id, bake_id, kind FROM bake_portions ORDER BY id").fetchall()
            eaten = connection.execute("SELECT id, portion_id FROM servings ORDER BY id").fetchall()
        self.assertEqual(events, [(1, 2, "2026-01-04"), (2, 2, "2026-02-04"), (4, 2, "2026-02-04")])
        self.assertEqual(portions, [(1, 1, ""), (2, 2, "plain"), (3, 2, "frosted"), (4, 4, "plain")])
        self.assertEqual(eaten, [(1, 1), (2, 3)])
        database = Database(self.path)
        shown = ledger.ledger(database, date(2026, 2, 1), date(2026, 2, 28))
        self.assertEqual((shown.total.servings, shown.total.free_sugars_who_g), (1, 20))
        self.assertEqual({b.id: b.event_id for b in shown.bakes}, {1: 1, 2: 2, 3: 2, 4: 4})
        database.close()
        command.downgrade(config_of(self.path), "0003")
        with sqlite3.connect(self.path) as connection:
            names = [row[1] for row in connection.execute("PRAGMA table_info(bakes)")]
            after = [
                dict(zip(names, row, strict=True)) for row in connection.execute("SELECT * FROM bakes ORDER BY id")
            ]
        self.assertEqual(len(after), len(before))
        self.assertEqual([(r["id"], r["version_id"], r["baked_on"], r["kind"], r["servings"]) for r in after],
                         [(1, 2, "2026-01-04", "", 8), (2, 2, "2026-02-04", "plain", 5), (3, 2, "2026-02-04", "frosted", 3), (4, 2, "2026-02-04", "plain", 8)])  # fmt: skip

    def test_checks_and_triggers_outlive_the_tables_made_anew(self) -> None:
        database_at(self.path, "0001")
        self.start()
        with sqlite3.connect(self.path) as connection:
            with self.assertRaises(sqlite3.IntegrityError):
                connection.execute("UPDATE servings SET count = 0")
            with self.assertRaises(sqlite3.IntegrityError):
                connection.execute("UPDATE lines SET grams = -1")
            names = {row[0] for row in connection.execute("SELECT name FROM sqlite_master WHERE type = 'trigger'")}
        wanted = ("version", "recipe", "product", "new_line", "line", "old_line")
        self.assertEqual(names, {f"figures_of_{what}" for what in wanted})


class Refused(Folder):
    def assertRefused(self, words: str) -> None:
        before = self.path.read_bytes() if self.path.is_file() else None
        with self.assertRaises(DataFolderError) as caught:
            self.start()
        self.assertIn(words, caught.exception.message)
        if before is not None:
            self.assertEqual(self.path.read_bytes(), before)

    def test_an_empty_file_is_no_empty_shelf(self) -> None:
        self.path.touch()
        self.assertRefused("empty (0 bytes)")

    def test_what_is_no_database(self) -> None:
        self.path.write_bytes(b"recipes" * 1000)
        self.assertRefused("not a database")

    def test_a_damaged_database(self) -> None:
        database_at(self.path, "0003")
        with sqlite3.connect(self.path) as connection:
            connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")
            page = connection.execute("SELECT rootpage FROM sqlite_master WHERE name = 'lines'").fetchone()[0]
        content = bytearray(self.path.read_bytes())
        content[(page - 1) * 4096 : page * 4096] = b"\xff" * 4096
        self.path.write_bytes(bytes(content))
        self.assertRefused("damaged")

    def test_the_database_of_another_program(self) -> None:
        with sqlite3.connect(self.path) as connection:
            connection.execute("CREATE TABLE songs (name TEXT)")
        self.assertRefused("another program")

    def test_a_newer_schema(self) -> None:
        self.start().close()
        with sqlite3.connect(self.path) as connection:
            connection.execute("UPDATE alembic_version SET version_num = '9999'")
        self.assertRefused("newer Sun Crumb")

    def test_a_folder_where_the_file_should_be(self) -> None:
        self.path.mkdir()
        self.assertRefused("a folder")

    def test_a_file_where_the_folder_should_be(self) -> None:
        (self.folder / "file").touch()
        self.path = self.folder / "file" / "sun-crumb.db"
        self.assertRefused("needed as a folder")
