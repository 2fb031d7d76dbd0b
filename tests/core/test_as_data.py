"""A family, a path, a trait is a row of a table: adding one touches no code."""

from __future__ import annotations

import csv
import io
import unittest
from collections.abc import Iterator
from contextlib import ExitStack, contextmanager
from pathlib import Path
from unittest import mock

from sun_crumb.core import reference
from sun_crumb.core.balance import families, nature, nature_of, patterns
from sun_crumb.core.balance.families import TRAITS
from sun_crumb.core.balance.makeup import makeup
from sun_crumb.core.balance.nature import is_possible
from sun_crumb.core.balance.norms import norms
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import rework
from sun_crumb.core.wish import Goals, paths
from tests.support import formula_of

FOLDER = Path(reference.__file__).parent
PANCAKES = "Weekend flapjacks\nMakes 12 flapjacks\n200 g plain flour\n80 g sugar\n2 eggs\n250 ml milk\n30 g butter\n2 tsp baking powder"


@contextmanager
def one_row_more(*added: tuple[str, str, dict[str, str]]) -> Iterator[None]:
    """Use tables with one row more: of each a copy of the row whose first cell is *like*, with *changes*."""
    changed = {}
    for name, like, changes in added:
        rows = list(csv.DictReader(io.StringIO((FOLDER / f"{name}.csv").read_text(encoding="utf-8"))))
        rows.append(next(row for row in rows if next(iter(row.values())) == like) | changes)
        out = io.StringIO()
        writer = csv.DictWriter(out, list(rows[0]))
        writer.writeheader()
        writer.writerows(rows)
        changed[name] = reference.rows_of(name, out.getvalue())
    before = reference.table

    def table(asked: str) -> tuple[dict[str, str], ...]:
        return changed.get(asked) or before(asked)

    caches = (
        families,
        paths,
        patterns.patterns,
        patterns.every_pattern,
        patterns._telling,
        patterns._matrix,
        nature._signs,
        nature._phrases,
        nature.nature_of,
        norms,
    )
    modules = ("balance.families", "balance.nature", "balance.patterns", "wish.goals")
    with ExitStack() as stack:
        for module in modules:
            stack.enter_context(mock.patch(f"sun_crumb.core.{module}.table", table))
        for cached in caches:
            cached.cache_clear()
        try:
            yield
        finally:
            for cached in caches:
                cached.cache_clear()


class AsData(unittest.TestCase):
    def test_a_family_is_added_by_its_rows_alone_and_gets_a_plan(self) -> None:
        formula = formula_of(PANCAKES)
        self.assertNotEqual(nature_of(formula, "").family.key, "griddle_cake")
        rows = (
            (
                "families",
                "pancake",
                {"key": "griddle_cake", "name": "griddle cake", "fits": "flour>0.1 wet>0.2|egg>0.1"},
            ),
            ("family_signs", "pancake", {"sign": "griddle", "words": "weekend flapjack", "scores": "griddle_cake:8"}),
            ("patterns", "pancake_wheat", {"key": "griddle_plain", "family": "griddle_cake"}),
        )
        with one_row_more(*rows):
            family = nature_of(formula, "").family
            self.assertEqual((family.key, family.is_baked), ("griddle_cake", False))
            plan = rework(formula, Goals(path="blend", cut=0.5), shipped_pantry())
            self.assertEqual(plan.balance[0].family_name, "griddle cake")
            self.assertIn(plan.status, ("balanced", "strained"))
            biscuit = formula_of("Weekend flapjack biscuits\nMakes 12\n300 g oats\n200 g butter\n150 g sugar")
            self.assertNotEqual(nature_of(biscuit, "").family.key, "griddle_cake")
        self.assertNotIn("griddle_cake", families())

    def test_a_path_is_added_by_its_row_alone_and_gets_a_plan(self) -> None:
        row = {
            "key": "honeyed",
            "name": "Honeyed",
            "usual": "honey",
            "most_new": "1",
            "allows": "unrefined",
            "traits": "",
        }
        with one_row_more(("paths", "unrefined", row)):
            plan = rework(formula_of(PANCAKES), Goals(path="honeyed", cut=1.0), shipped_pantry())
            self.assertEqual(
                [line.ingredient for line in plan.lines if line.position is None and "sweet" in line.reason], ["honey"]
            )

    def test_traits_are_known_ones(self) -> None:
        for family in families().values():
            self.assertLessEqual(family.traits, set(TRAITS), family.key)
        known = {
            "dark",
            "pale",
            "scorches",
            "thirsty",
            "lifts",
            "thick",
            "tasty",
            "own_taste",
            "chips",
            "whole",
            "made",
            "crisp",
        }
        for row in reference.table("pantry_traits"):
            with self.subTest(row["key"]):
                self.assertIn(row["key"], shipped_pantry())
                self.assertLessEqual(set(row["traits"].split()), known)
                if row["becomes"]:
                    self.assertIn(row["becomes"], shipped_pantry())

    def test_conditions_of_every_family_can_be_read(self) -> None:
        shares = makeup([])
        for family in families().values():
            with self.subTest(family.key):
                self.assertIn(is_possible(family, shares), (True, False))


if __name__ == "__main__":
    unittest.main()
