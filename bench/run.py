"""Times of reading, analysing and reworking recipes of 10, 20 and 40 lines, as medians and ratios of one run.

The machine is shared and noisy: compare the ratios, not the milliseconds.
"""

from __future__ import annotations

import itertools
import statistics
import sys
import tempfile
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path

import highspy

from sun_crumb.app import create_app
from sun_crumb.core.exploring import frontier, side_by_side
from sun_crumb.core.formula import from_reading, total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.rework import Drag, preview, rework
from sun_crumb.core.wish import Goals, paths

BASE = (
    "1½ cups (190 g) plain flour", "1 cup (200 g) sugar", "½ cup (113 g) butter, melted", "2 large eggs", "¾ cup milk",
    "2 tsp baking powder", "1 tsp vanilla extract", "zest of 1 lemon", "1 tsp cinnamon", "a pinch of salt",
)  # fmt: skip
MORE = (
    "50 g ground almonds", "2 tbsp cocoa powder", "100 g plain yoghurt", "60 g rolled oats", "1 apple, grated",
    "2 tbsp honey", "40 g raisins", "30 g chopped walnuts", "½ tsp baking soda", "1 tbsp lemon juice",
    "½ tsp ground ginger", "80 g blueberries", "2 tbsp neutral oil", "40 g wholemeal flour", "1 tbsp chia seeds",
    "50 ml buttermilk", "½ tsp nutmeg", "20 g desiccated coconut", "1 tbsp cornflour", "1 egg yolk",
    "30 g dark chocolate 70%", "1 tbsp peanut butter", "2 tbsp soured cream", "25 g pecans", "50 g carrots, grated",
    "1 tbsp maple syrup", "¼ tsp ground cloves", "10 g poppy seeds", "2 tbsp orange juice", "30 g semolina",
)  # fmt: skip


def recipe(lines: int) -> str:
    """Return a made-up cake of so many lines."""
    return "Bench cake\nMakes 16 squares\n" + "\n".join((BASE + MORE)[:lines])


def times(call: Callable[[], object], rounds: int) -> tuple[float, float]:
    """Return median and 95th percentile of a warm call [ms]."""
    call()
    found = []
    for _ in range(rounds):
        start = time.perf_counter()
        call()
        found.append(1000 * (time.perf_counter() - start))
    found.sort()
    return statistics.median(found), found[min(len(found) - 1, int(0.95 * len(found)))]


@contextmanager
def solver_clock() -> Iterator[list[float]]:
    """Collect how long each search of the solver itself takes [ms]: its run, without passing the model or reading it."""
    found: list[float] = []
    plain = highspy.Highs.run

    def timed(highs: highspy.Highs) -> object:
        start = time.perf_counter()
        try:
            return plain(highs)
        finally:
            found.append(1000 * (time.perf_counter() - start))

    highspy.Highs.run = timed
    try:
        yield found
    finally:
        highspy.Highs.run = plain


def through_the_api() -> None:
    """Print what the Bench waits for on a recipe of 20 lines: the whole way through the application and its database."""
    with tempfile.TemporaryDirectory() as folder:
        app = create_app(Path(folder) / "bench.db")
        client, text = app.test_client(), recipe(20)
        lines = [
            {"ingredient": x["ingredient"], "grams": x["grams"], "component": x["component"], "text": x["text"]}
            for x in client.post("/api/read", json={"text": text}).get_json()["lines"]
            if x["ingredient"] and x["grams"] is not None
        ]
        kept = {
            "title": "Bench cake",
            "source_text": text,
            "cup": "us",
            "servings": 16,
            "unit": "square",
            "lines": lines,
        }
        at = f"/api/recipes/{client.post('/api/recipes', json=kept).get_json()['id']}"
        made = client.post(f"{at}/rework", json={}).get_json()
        support = [
            {"component": x["component"], "ingredient": x["ingredient"], "grams": x["after_g"]}
            for x in made["lines"]
            if x["position"] is None
        ]
        cuts = itertools.cycle(range(30, 70))
        for name, call, rounds in (
            ("rework", lambda: client.post(f"{at}/rework", json={"cut": 0.5}), 15),
            ("preview", lambda: client.post(f"{at}/preview", json={"cut": next(cuts) / 100, "support": support}), 60),
            ("five paths", lambda: client.post(f"{at}/paths", json={"cut": 0.5}), 9),
            ("ten cuts", lambda: client.post(f"{at}/frontier", json={}), 3),
        ):
            median, p95 = times(call, rounds)
            print(f"   20 {name + ', API':<22} {median:>10.3f} {p95:>9.3f}")
        app.extensions["database"].close()


def main() -> int:
    """Print one table, and how much of the plans' time lies around the solver."""
    pantry = shipped_pantry()
    print(f"{'lines':>5} {'what':<22} {'median ms':>10} {'p95 ms':>9} {'x of 10 lines':>14}  note")
    first: dict[str, float] = {}
    shares = []
    for count in (10, 20, 40):
        text = recipe(count)
        formula, _ = from_reading(read_recipe(text, pantry), pantry)
        jobs: list[tuple[str, Callable[[], object], int]] = [
            ("read", lambda text=text: read_recipe(text, pantry), 60),  # type: ignore[misc]
            ("analyse", lambda formula=formula: total(formula.lines), 200),  # type: ignore[misc]
        ]
        for path in paths():
            goals = Goals(path=path, cut=0.5, keep_sweet=0.9)
            jobs.append((f"rework {path}", lambda f=formula, g=goals: rework(f, g, pantry), 15))  # type: ignore[misc]
        last = rework(formula, Goals(cut=0.5), pantry)
        support = [(x.component, x.ingredient, x.after_g) for x in last.lines if x.position is None]
        drag, moved = Drag(formula, Goals(cut=0.5), pantry, support), itertools.cycle(range(30, 70))
        jobs.append(("preview, first", lambda f=formula, s=support: preview(f, Goals(cut=0.45), pantry, s), 40))  # type: ignore[misc]
        jobs.append(("preview, dragged", lambda d=drag, m=moved: d.at(Goals(cut=next(m) / 100)), 80))  # type: ignore[misc]
        jobs.append(("five paths", lambda f=formula: side_by_side(f, Goals(cut=0.5), pantry), 7))  # type: ignore[misc]
        jobs.append(("ten cuts", lambda f=formula: frontier(f, Goals(), pantry), 3))  # type: ignore[misc]
        for name, call, rounds in jobs:
            with solver_clock() as inside:
                median, p95 = times(call, rounds)
            note = ""
            if name.startswith("rework"):
                each = len(inside) // (rounds + 1)
                solver = statistics.median(sum(inside[k : k + each]) for k in range(0, len(inside), each))
                shares.append((count, solver, median - solver))
                note = f"around the solver {100 * (median / solver - 1):.0f} % of its time"
            ratio = median / first.setdefault(name, median)
            print(f"{count:>5} {name:<22} {median:>10.3f} {p95:>9.3f} {ratio:>14.1f}  {note}")
    through_the_api()
    for count in (10, 20, 40):
        solver, around = (sum(row[k] for row in shares if row[0] == count) for k in (1, 2))
        middle = statistics.median(100 * row[2] / row[1] for row in shares if row[0] == count)
        print(
            f"{count:>5} lines, all paths: around the solver {100 * around / solver:.0f} % of its time, median path {middle:.0f} %"
        )
    return 0


if __name__ == "__main__":
    sys.exit(main())
