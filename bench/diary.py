"""The ledger at 1x, 10x and 100x: a year's sums by month through the service, and beside bare SQL, in one run.

Run as ``python -m bench.diary``. 1x is 200 servings of 20 bakes, 100x 20,000 of 2,000.
"""

from __future__ import annotations

import json
import random
import sqlite3
import tempfile
from datetime import date, timedelta
from pathlib import Path
from statistics import median
from time import perf_counter

from sun_crumb.core.wish import Goals
from sun_crumb.services import bakes, diary, kitchen, learning, recipes
from sun_crumb.store import Database

FIRST, LAST = date(2026, 1, 1), date(2026, 12, 31)
BARE = """SELECT strftime('%Y-%m', s.eaten_on), sum(s.count), sum(s.count * p.free_sugars_who_g), sum(s.count * p.saved_free_sugars_who_g)
FROM servings s JOIN bake_portions p ON p.id = s.portion_id
WHERE s.deleted_at IS NULL AND s.eaten_on BETWEEN '2026-01-01' AND '2026-12-31' GROUP BY 1"""


def fill(database: Database, baked: int, eaten: int) -> None:
    """Put bakes of one cake and slices of them into a database, the rows straight: what is measured is the reading."""
    lines = [
        kitchen.PlainLine(key, grams, text=key)
        for key, grams in (("plain_flour", 200.0), ("caster_sugar", 180.0), ("butter", 180.0), ("egg", 200.0))
    ]
    made = recipes.keep_recipe(database, recipes.NewRecipe("Tea cake", lines, 12, "slice", source_text="Tea cake"))
    version = recipes.keep_version(database, made.id, Goals(path="blend", cut=0.5)).versions[-1].id
    bakes.bake(database, version, FIRST)
    chance = random.Random(1)
    with sqlite3.connect(database.path) as bare:
        columns = [
            row[1] for row in bare.execute("PRAGMA table_info(bake_portions)") if row[1] not in ("id", "bake_id")
        ]
        names = ", ".join(columns)
        days = [FIRST]
        for n in range(2, baked + 1):
            days.append(FIRST + timedelta(days=chance.randrange(360)))
            bare.execute(
                "INSERT INTO bakes (id, version_id, baked_on, created_at) VALUES (?, ?, ?, '2026-01-01 00:00:00')",
                (n, version, days[-1].isoformat()),
            )
            bare.execute(
                f"INSERT INTO bake_portions (id, bake_id, {names}) SELECT ?, ?, {names} FROM bake_portions WHERE id = 1",
                (n, n),
            )
        # A bake is eaten within days.
        rows = [
            (n, (days[n - 1] + timedelta(days=chance.randrange(5))).isoformat(), chance.choice((0.5, 1.0, 2.0)), chance.choice(("Ada", "Bo", "Nan")),
             chance.choice((600, 960, 1140)))
            for n in (chance.randint(1, baked) for _ in range(eaten))
        ]  # fmt: skip
        # Every other bake is tasted by two.
        bare.executemany(
            "INSERT INTO tastings (bake_id, tasted_on, who, state, is_blind, scores, words, created_at) VALUES (?, '2026-06-01', ?, 'cool', 0, ?, '', '2026-06-01 00:00:00')",
            [
                (
                    n,
                    who,
                    json.dumps({"sweetness": chance.randint(-1, 1), "moisture": chance.randint(-1, 1), "liked": 2}),
                )
                for n in range(2, baked + 1, 2)
                for who in ("Ada", "Bo")
            ],
        )
        bare.executemany(
            "INSERT INTO servings (portion_id, eaten_on, count, who, eaten_at, created_at) VALUES (?, ?, ?, ?, ?, '2026-01-01 00:00:00')",
            rows,
        )


def main() -> None:
    """Print a row for each size: bare SQL, the year by month, day, person and recipe, a page of bakes, a day's diary."""
    print(
        f"{'servings':>9} {'bare SQL':>9} {'by month':>9} {'times':>6} {'by day':>8} {'person':>8} {'recipe':>8} {'bakes':>8} {'one day':>8} {'learning':>9}   (median ms of 9)"
    )
    for size in (1, 10, 100):
        with tempfile.TemporaryDirectory() as folder:
            database = Database(Path(folder) / "x.db")
            database.migrate()
            fill(database, 20 * size, 200 * size)

            def timed(work) -> float:  # type: ignore[no-untyped-def]
                times = []
                for _ in range(10):
                    start = perf_counter()
                    work()
                    times.append(1000 * (perf_counter() - start))
                return median(times[1:])

            with sqlite3.connect(database.path) as bare:
                plain = timed(lambda bare=bare: bare.execute(BARE).fetchall())
            spans = {
                by: timed(lambda by=by, database=database: diary.span(database, FIRST, LAST, by))
                for by in ("month", "day", "person", "recipe")
            }  # type: ignore[misc, arg-type]
            page = timed(lambda database=database: bakes.list_bakes(database, 0, 20))
            taught = timed(lambda database=database: learning.learn_anew(database))
            day = timed(lambda database=database: diary.entries(database, date(2026, 6, 1), date(2026, 6, 1)))
            print(
                f"{200 * size:>9} {plain:>9.1f} {spans['month']:>9.1f} {spans['month'] / plain:>6.1f} {spans['day']:>8.1f} {spans['person']:>8.1f}"
                f" {spans['recipe']:>8.1f} {page:>8.1f} {day:>8.1f} {taught:>9.1f}"
            )
            database.close()


if __name__ == "__main__":
    main()
