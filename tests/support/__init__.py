"""What several tests share: recipes of our own, a running application, close-enough comparison."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path
from typing import Any

from flask.testing import FlaskClient

from sun_crumb.app import create_app
from sun_crumb.core.formula import Formula, FormulaLine, from_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import ReadLine, read_recipe
from sun_crumb.core.sugars.sittings import sittings

CAKE = """Orange semolina cake
Makes 16 squares

1 cup (200 g) sugar
1 cup (245 g) plain yoghurt
1 cup (167 g) fine semolina
1 cup (96 g) ground almonds
2 large eggs
½ cup (113 g) butter, melted
2 tsp baking powder
zest of 1 orange
a pinch of salt

Method
Heat the oven to 180 °C. Bake for 35-40 minutes.
"""


def formula_of(text: str) -> Formula:
    """Return the formula of a recipe text."""
    formula, _ = from_reading(read_recipe(text, shipped_pantry()), shipped_pantry())
    return formula


def lines_of(**grams: float) -> tuple[FormulaLine, ...]:
    """Return weighed lines of one component by pantry key."""
    return tuple(FormulaLine(shipped_pantry()[key], amount) for key, amount in grams.items())


def batter(servings: int = 12, **grams: float) -> Formula:
    """Return a formula by pantry key."""
    return Formula("Test cake", lines_of(**grams), servings)


def most_of(key: str) -> float:
    """Return how much of a sweetener a portion may bring, by sittings.csv [g]."""
    return next(sitting.most_g for sitting in sittings() if sitting.key == key)


def read_line(text: str, cup: str | None = "us") -> ReadLine:
    """Return the first ingredient line of a one-line recipe."""
    reading = read_recipe(f"Test bake\n{text}", shipped_pantry(), cup)
    return next(line for line in reading.lines if line.status != "heading")


class CloseTo(unittest.TestCase):
    """Adds comparison within a relative or absolute tolerance."""

    def assertClose(
        self, value: float, wanted: float, *, rel: float = 0.0, absolute: float = 0.0, msg: str = ""
    ) -> None:
        """Fail unless *value* lies within *rel* of *wanted* or *absolute* from it."""
        allowed = max(rel * abs(wanted), absolute)
        self.assertLessEqual(abs(value - wanted), allowed, f"{msg}: {value} is not {wanted} ± {allowed}")


class WithApplication(unittest.TestCase):
    """A real application over a real SQLite file, empty at the start of each test."""

    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.app = create_app(Path(folder.name) / "test.db")
        self.database = self.app.extensions["database"]
        self.addCleanup(self.database.close)
        self.client: FlaskClient = self.app.test_client()

    def get(self, path: str, status: int = 200) -> Any:
        return self._json(self.client.get(path), status)

    def post(self, path: str, body: Any = None, status: int = 200) -> Any:
        return self._json(self.client.post(path, json=body if body is not None else {}), status)

    def patch(self, path: str, body: Any, status: int = 200) -> Any:
        return self._json(self.client.patch(path, json=body), status)

    def delete(self, path: str, status: int = 200) -> Any:
        return self._json(self.client.delete(path), status)

    def _json(self, response: Any, status: int) -> Any:
        self.assertEqual(response.status_code, status, response.get_data(as_text=True)[:400])
        return response.get_json()

    def keep_cake(self, text: str = CAKE) -> Any:
        """Bring in a recipe as the browser does and return it."""
        read = self.post("/api/read", {"text": text})
        lines = [
            {"ingredient": x["ingredient"], "grams": x["grams"], "component": x["component"], "text": x["text"]}
            for x in read["lines"]
            if x["ingredient"] and x["grams"] is not None
        ]
        body = {
            "title": read["title"],
            "source_text": text,
            "cup": read["cup"],
            "servings": read["yield"]["count"],
            "unit": read["yield"]["unit"],
            "lines": lines,
        }
        return self.post("/api/recipes", body)
