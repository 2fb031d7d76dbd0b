"""The shelf at 1x, 10x and more: time and statements of a list, one file under readers and a writer.

Run as ``python -m bench.shelf [seconds]``; the seconds are how long three readers and a writer work at once (0 leaves that out).
"""

from __future__ import annotations

import statistics
import sys
import tempfile
import threading
import time
from pathlib import Path

from flask.testing import FlaskClient
from sqlalchemy import event

from sun_crumb.app import create_app
from sun_crumb.core.wish import Goals
from sun_crumb.services import kitchen, recipes, shelf
from sun_crumb.store import Database

FOODS = [
    "plain_flour",
    "white_sugar",
    "butter",
    "egg",
    "milk",
    "baking_powder",
    "vanilla_extract",
    "salt",
    "cinnamon",
    "walnut",
    "light_brown_sugar",
    "honey",
    "yoghurt",
    "banana",
    "lemon_juice",
    "cocoa",
    "almond",
    "rolled_oats",
    "cornstarch",
    "apple",
]


def fill(database: Database, count: int, versions: int = 3) -> None:
    """Put *count* recipes of twenty lines on the shelf, with *versions* versions each."""
    from sun_crumb.core.pantry import shipped_pantry

    foods = [key for key in FOODS if key in shipped_pantry()]
    for n in range(count):
        lines = [kitchen.PlainLine(key, 20.0 + (n + i) % 50, text=f"a line of {key}") for i, key in enumerate(foods)]
        new = recipes.NewRecipe(f"Tea cake {n}", lines, 12, "slice", source_text="Tea cake\n" * 40)
        made = recipes.keep_recipe(database, new)
        for _ in range(versions - 1):
            recipes.keep_version(database, made.id, Goals(path="less"))


def listed(client: FlaskClient, database: Database, path: str) -> tuple[float, int, int]:
    """Return milliseconds (median of 9), statements and bytes of one list."""
    statements: list[str] = []

    def count(_c: object, _cursor: object, statement: str, *_rest: object) -> None:
        statements.append(statement)

    event.listen(database.engine, "before_cursor_execute", count)
    client.get(path)
    number = len(statements)
    event.remove(database.engine, "before_cursor_execute", count)
    times = []
    for _ in range(9):
        start = time.perf_counter()
        size = len(client.get(path).get_data())
        times.append(1000 * (time.perf_counter() - start))
    return statistics.median(times), number, size


def together(folder: Path, seconds: float) -> None:
    """Let three readers reload the list and a writer keep recipes at once, through the API."""
    app = create_app(folder / "bench.db")
    until, waits, busy, reads = time.monotonic() + seconds, [], [], [0, 0, 0]

    def read(who: int) -> None:
        client = app.test_client()
        while time.monotonic() < until:
            if client.get("/api/recipes?count=500").status_code != 200:
                busy.append(who)
            reads[who] += 1

    readers = [threading.Thread(target=read, args=(who,)) for who in range(3)]
    for reader in readers:
        reader.start()
    client = app.test_client()
    body = {"title": "New", "servings": 8, "lines": [{"ingredient": "white_sugar", "grams": 100.0}]}
    while time.monotonic() < until:
        start = time.perf_counter()
        if client.post("/api/recipes", json=body).status_code != 200:
            busy.append(9)
        waits.append(1000 * (time.perf_counter() - start))
        time.sleep(0.02)
    for reader in readers:
        reader.join()
    waits.sort()
    print(
        f"{seconds:g} s of three readers and a writer: {sum(reads)} lists, {len(waits)} writes, {len(busy)} refused; "
        f"a write takes {statistics.median(waits):.0f} ms (p95 {waits[int(0.95 * len(waits))]:.0f})"
    )


def main() -> None:
    with tempfile.TemporaryDirectory() as name:
        folder = Path(name)
        app = create_app(folder / "bench.db")
        database = app.extensions["database"]
        client = app.test_client()
        for count in (50, 500):
            fill(database, count - shelf.list_recipes(database)["total"])
            for path in ("/api/recipes", "/api/recipes?count=500", "/api/recipes?q=cake+4"):
                ms, statements, size = listed(client, database, path)
                print(
                    f"{count} recipes of 3 versions, {path}: {ms:.1f} ms, {statements} statements, {size / 1000:.0f} kB"
                )
        start = time.perf_counter()
        client.get("/api/backup")
        print(f"backup: {1000 * (time.perf_counter() - start):.0f} ms")
        if (seconds := float(sys.argv[1]) if len(sys.argv) > 1 else 30.0) > 0:
            together(folder, seconds)


if __name__ == "__main__":
    main()
