"""A family, a path, a trait is a row of a table: adding one touches no code."""

from __future__ import annotations

import csv
import io
import unittest
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from unittest import mock

from sun_crumb.core import reference
from sun_crumb.core.balance import families, guess_family
from sun_crumb.core.balance.families import TRAITS, is_possible
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import rework
from sun_crumb.core.wish import Goals, paths
from tests.support import formula_of

FOLDER = Path(reference.__file__).parent
PANCAKES = "Weekend flapjacks\nMakes 12 flapjacks\n200 g plain flour\n80 g sugar\n2 eggs\n250 ml milk\n30 g butter\n2 tsp baking powder"


@contextmanager
def one_row_more(name: str, like: str, changes: dict[str, str]) -> Iterator[None]:
    """Use a table with one row more: a copy of the row whose key is *like*, with *changes*."""
    rows = list(csv.DictReader(io.StringIO((FOLDER / f"{name}.csv").read_text(encoding="utf-8"))))
    rows.append(next(row for row in rows if row["key"] == like) | changes)
    out = io.StringIO()
    writer = csv.DictWriter(out, list(rows[0]))
    writer.writeheader()
    writer.writerows(rows)
    changed, before = reference.rows_of(name, out.getvalue()), reference.table

    def table(asked: str) -> tuple[dict[str, str], ...]:
        return changed if asked == name else before(asked)

    caches = (families, paths)
    with (
        mock.patch("sun_crumb.core.balance.families.table", table),
        mock.patch("sun_crumb.core.wish.goals.table", table),
    ):
        for cached in caches:
            cached.cache_clear()
        try:
            yield
        finally:
            for cached in caches:
                cached.cache_clear()


class AsData(unittest.TestCase):
    def test_a_family_is_added_by_its_row_alone_and_gets_a_plan(self) -> None:
        formula = formula_of(PANCAKES)
        self.assertNotEqual(guess_family(formula.title, "", formula.lines).key, "griddle_cake")
        row = {
            "key": "griddle_cake",
            "name": "griddle cake",
            "words": "flapjack pancake",
            "told_first": "1",
            "fits": "flour>0.1 wet>0.2|egg>0.1",
            "traits": "no_oven",
        }
        with one_row_more("families", "quick_bread", row):
            family = guess_family(formula.title, "", formula.lines)
            self.assertEqual((family.key, family.is_baked), ("griddle_cake", False))
            plan = rework(formula, Goals(path="blend", cut=0.5), shipped_pantry())
            self.assertEqual(plan.balance[0].family_name, "griddle cake")
            self.assertIn(plan.status, ("balanced", "strained"))
            biscuit = formula_of("Flapjack biscuits\nMakes 12\n300 g oats\n200 g butter\n150 g sugar")
            self.assertNotEqual(guess_family(biscuit.title, "", biscuit.lines).key, "griddle_cake")
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
        with one_row_more("paths", "unrefined", row):
            plan = rework(formula_of(PANCAKES), Goals(path="honeyed", cut=1.0), shipped_pantry())
            self.assertEqual(
                [line.ingredient for line in plan.lines if line.position is None and "sweet" in line.reason], ["honey"]
            )

    def test_traits_are_known_ones(self) -> None:
        for family in families().values():
            self.assertLessEqual(family.traits, set(TRAITS), family.key)
        known = {"dark", "scorches", "thirsty", "lifts"}
        for row in reference.table("pantry_traits"):
            with self.subTest(row["key"]):
                self.assertIn(row["key"], shipped_pantry())
                self.assertLessEqual(set(row["traits"].split()), known)
                if row["becomes"]:
                    self.assertIn(row["becomes"], shipped_pantry())

    def test_conditions_of_every_family_can_be_read(self) -> None:
        shares = dict.fromkeys(("flour", "solid", "fruit", "wet", "egg", "oil"), 0.0)
        for family in families().values():
            with self.subTest(family.key):
                self.assertIn(is_possible(family, shares), (True, False))


if __name__ == "__main__":
    unittest.main()
