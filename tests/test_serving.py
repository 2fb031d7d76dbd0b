"""The application as a process: one file after it ends however it ends, one at a time, faults told in a sentence."""

from __future__ import annotations

import contextlib
import errno
import json
import os
import shutil
import signal
import socket
import sqlite3
import stat
import subprocess
import sys
import tempfile
import unittest
import urllib.request
from pathlib import Path
from typing import Any

from sun_crumb.store.errors import told
from tests.test_cli import run

CAKE = {"title": "Fig cake", "servings": 8, "lines": [{"ingredient": "white_sugar", "grams": 100.0}]}


class Process:
    """A server in a process of its own."""

    def __init__(self, folder: Path, *arguments: str) -> None:
        self.process = subprocess.Popen(
            [sys.executable, "-m", "sun_crumb.cli", *(arguments or ("serve", "--port", "0"))],
            stdout=subprocess.PIPE,
            stderr=subprocess.PIPE,
            text=True,
            env=os.environ | {"SUN_CRUMB_DATA": str(folder)},
        )
        assert self.process.stdout is not None
        self.address = next((line for line in self.process.stdout if "http://" in line), "").split()[-1]
        self.port = int(self.address.rstrip("/").rsplit(":", 1)[1])

    def ask(self, path: str, body: Any = None) -> Any:
        request = urllib.request.Request(
            self.address + path,
            data=None if body is None else json.dumps(body).encode(),
            headers={"Content-Type": "application/json"},
        )
        with urllib.request.urlopen(request, timeout=60) as answer:
            return json.load(answer)

    def end(self, how: signal.Signals = signal.SIGTERM) -> tuple[int, str]:
        """Stop it and return its exit code and what it complained of."""
        with contextlib.suppress(ProcessLookupError):
            self.process.send_signal(how)
        _, errors = self.process.communicate(timeout=60)
        return self.process.returncode, errors


class Serving(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name) / "data"

    def start(self, *arguments: str) -> Process:
        process = Process(self.folder, *arguments)
        self.addCleanup(process.end, signal.SIGKILL)
        return process

    def kept_in_the_one_file(self) -> int:
        """Return how many recipes a copy of the database alone holds, without what lies beside it."""
        copy = self.folder / "copy.db"
        shutil.copy(self.folder / "sun-crumb.db", copy)
        with sqlite3.connect(copy) as connection:
            return int(connection.execute("SELECT count(*) FROM recipes").fetchone()[0])


class Ending(Serving):
    def test_sigterm_and_ctrl_c_end_well_with_everything_in_the_one_file(self) -> None:
        for count, how in enumerate((signal.SIGTERM, signal.SIGINT), start=1):
            with self.subTest(how.name):
                server = self.start()
                server.ask("api/recipes", CAKE)
                self.assertEqual(server.end(how), (0, ""))
                self.assertEqual(self.kept_in_the_one_file(), count)
                self.assertFalse((self.folder / "sun-crumb.db-wal").exists())
                self.assertFalse((self.folder / "running.json").exists())

    def test_after_a_sudden_end_the_log_holds_next_to_nothing_and_the_next_start_everything(self) -> None:
        server = self.start()
        for _ in range(12):
            server.ask("api/recipes", CAKE)
        server.end(signal.SIGKILL)
        self.assertGreater(self.kept_in_the_one_file(), 8)
        again = self.start()
        self.assertEqual(again.ask("api/recipes")["total"], 12)
        self.assertEqual(again.end()[0], 0)


class OneAtATime(Serving):
    def test_a_second_one_offers_the_running_ones_address_and_changes_nothing(self) -> None:
        server = self.start()
        server.ask("api/recipes", CAKE)
        done = run("serve", "--port", "0", SUN_CRUMB_DATA=str(self.folder))
        error = json.loads(done.stderr)["error"]
        self.assertEqual(
            (done.returncode, error["code"], error["details"]["address"]), (2, "folder_in_use", server.address)
        )
        self.assertIn(server.address, error["message"])
        self.assertEqual(server.ask("api/recipes")["total"], 1)

    def test_a_second_demo_leaves_the_first_ones_household(self) -> None:
        demo = self.start("demo", "--port", "0", "--folder", str(self.folder / "demo"))
        demo.ask("api/recipes", CAKE)
        done = run("demo", "--port", "0", "--folder", str(self.folder / "demo"))
        self.assertEqual((done.returncode, json.loads(done.stderr)["error"]["code"]), (2, "folder_in_use"))
        self.assertEqual(demo.ask("api/recipes")["total"], 7)
        demo.end()
        anew = self.start("demo", "--port", "0", "--folder", str(self.folder / "demo"))
        self.assertEqual(anew.ask("api/recipes")["total"], 6)

    def test_a_busy_port_is_told(self) -> None:
        with socket.socket() as busy:
            busy.bind(("127.0.0.1", 0))
            busy.listen()
            port = str(busy.getsockname()[1])
            done = run("serve", "--port", port, SUN_CRUMB_DATA=str(self.folder))
        error = json.loads(done.stderr)["error"]
        self.assertEqual((done.returncode, error["code"], error["field"]), (2, "port", "port"))
        self.assertIn(f"port {port} is taken", error["message"])


class Faults(Serving):
    def test_each_is_one_sentence_and_exit_2(self) -> None:
        self.folder.mkdir()
        database = self.folder / "sun-crumb.db"

        def junk() -> None:
            database.write_bytes(b"no database" * 999)

        def newer() -> None:
            database.unlink()
            run("export", "1", SUN_CRUMB_DATA=str(self.folder))
            with sqlite3.connect(database) as connection:
                connection.execute("UPDATE alembic_version SET version_num = '9999'")

        for prepare, arguments, words in (
            (database.touch, ("serve", "--port", "0"), "empty (0 bytes)"),
            (junk, ("serve", "--port", "0"), "no database"),
            (junk, ("export", "1"), "no database"),
            (newer, ("serve", "--port", "0"), "newer Sun Crumb"),
            (newer, ("restore", "-"), "newer Sun Crumb"),
            (database.unlink, ("serve", "--port", "70000"), "no port"),
        ):
            prepare()
            with self.subTest(words):
                done = run(*arguments, SUN_CRUMB_DATA=str(self.folder))
                self.assertEqual((done.returncode, done.stdout), (2, ""))
                self.assertNotIn("Traceback", done.stderr)
                self.assertIn(words, json.loads(done.stderr)["error"]["message"])

    def test_a_folder_that_is_a_file(self) -> None:
        self.folder.touch()
        for command in (("serve", "--port", "0"), ("import", "-"), ("backup", "x.json")):
            with self.subTest(command):
                done = run(*command, text="Cake\n100 g sugar", SUN_CRUMB_DATA=str(self.folder))
                self.assertEqual(done.returncode, 2)
                self.assertIn("needed as a folder", json.loads(done.stderr)["error"]["message"])

    def test_a_full_disk_and_a_folder_that_may_not_be_written(self) -> None:
        for number, words in (
            (errno.ENOSPC, "no room left"),
            (errno.EROFS, "can't be written"),
            (errno.EACCES, "can't be written"),
        ):
            self.assertIn(words, told(OSError(number, "x"), self.folder).message)
            self.assertRegex(told(OSError(number, "x"), self.folder).message, "safe|nothing was changed")

    def test_only_its_owner_reads_what_is_kept(self) -> None:
        server = self.start()
        server.ask("api/recipes", CAKE)
        run("backup", str(self.folder / "backup.json"), SUN_CRUMB_DATA=str(self.folder))
        self.assertEqual(stat.S_IMODE(self.folder.stat().st_mode), 0o700)
        for path in self.folder.iterdir():
            with self.subTest(path.name):
                self.assertEqual(stat.S_IMODE(path.stat().st_mode) & 0o077, 0)


class BackupByHand(Serving):
    def test_backup_while_it_runs_and_restore_into_an_empty_folder(self) -> None:
        server = self.start()
        server.ask("api/recipes", CAKE)
        target = self.folder / "all.json"
        done = json.loads(run("backup", str(target), SUN_CRUMB_DATA=str(self.folder)).stdout)
        self.assertEqual(done, {"file": str(target), "bytes": target.stat().st_size})
        again = run("backup", str(target), SUN_CRUMB_DATA=str(self.folder))
        self.assertEqual((again.returncode, json.loads(again.stderr)["error"]["field"]), (2, "file"))
        other = self.folder / "other"
        restored = json.loads(run("restore", str(target), SUN_CRUMB_DATA=str(other)).stdout)
        self.assertEqual(restored["recipes"], 1)
        self.assertTrue((other / restored["kept_as"]).is_file())
        cut = self.folder / "cut.json"
        cut.write_text(target.read_text(encoding="utf-8")[:300], encoding="utf-8")
        refused = run("restore", str(cut), SUN_CRUMB_DATA=str(other))
        self.assertEqual((refused.returncode, json.loads(refused.stderr)["error"]["code"]), (2, "bad_backup"))
        self.assertEqual(json.loads(run("export", "1", SUN_CRUMB_DATA=str(other)).stdout)["name"], "fig-cake.json")


class Crowded(Serving):
    def test_half_open_connections_hold_nobody_up(self) -> None:
        server = self.start()
        with contextlib.ExitStack() as stack:
            for _ in range(300):
                link = stack.enter_context(socket.create_connection(("127.0.0.1", server.port), timeout=30))
                link.sendall(b"POST /api/read HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Le")
            self.assertEqual(server.ask("api/health")["status"], "ok")

    def test_a_body_that_is_too_long_is_refused_by_its_announcement(self) -> None:
        server = self.start()
        for size, path in ((60_000_000, "api/read"), (300_000_000, "api/restore"), (2_000_000, "api/import")):
            with self.subTest(path), socket.create_connection(("127.0.0.1", server.port), timeout=30) as link:
                head = f"POST /{path} HTTP/1.1\r\nHost: 127.0.0.1:{server.port}\r\nContent-Type: application/json\r\nContent-Length: {size}\r\n\r\n"
                link.sendall(head.encode())
                # Not a byte of the body was sent: a server that waits for it never answers.
                self.assertIn(b" 413 ", link.recv(4096).split(b"\r\n")[0])

    def test_a_chunked_body_without_an_end_is_refused(self) -> None:
        server = self.start()
        with socket.create_connection(("127.0.0.1", server.port), timeout=30) as link:
            head = f"POST /api/read HTTP/1.1\r\nHost: 127.0.0.1:{server.port}\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\n"
            link.sendall(head.encode())
            answer = b""
            with contextlib.suppress(ConnectionError):
                for _ in range(40):
                    link.sendall(b"10000\r\n" + b"x" * 0x10000 + b"\r\n")
            with contextlib.suppress(ConnectionError):
                answer = link.recv(4096)
            self.assertTrue(b" 413 " in answer or not answer)
        self.assertEqual(server.ask("api/health")["status"], "ok")


class Reading(Serving):
    def test_a_writer_that_does_not_end_holds_up_no_reader(self) -> None:
        server = self.start()
        server.ask("api/recipes", CAKE)
        with sqlite3.connect(self.folder / "sun-crumb.db", isolation_level=None) as writer:
            writer.execute("BEGIN IMMEDIATE")
            for path in (
                "api/recipes",
                "api/recipes/1",
                "api/settings",
                "api/ledger",
                "api/pantry",
                "api/choices",
                "api/backup",
            ):
                with self.subTest(path):
                    server.ask(path)
            writer.execute("ROLLBACK")
