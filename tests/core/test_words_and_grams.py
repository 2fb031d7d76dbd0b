"""What a plan says is true of the grams it stands beside: every figure in its words computed again, from the tables alone.

Nothing of the core computes here: the tables are read as CSV, sweetness by the factors of constants.csv, sums by hand.
"""

from __future__ import annotations

import csv
import re
import unittest
from pathlib import Path

from bench.desserts import DESSERTS

from sun_crumb.core import reference
from sun_crumb.core.errors import NothingToReworkError
from sun_crumb.core.formula import Formula, from_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.rework import Plan, PlanLine, rework
from sun_crumb.core.wish import Goals

FOLDER = Path(reference.__file__).parent
WISHES = (
    Goals(path="fruit", cut=0.5),
    Goals(path="less", cut=0.3, eaters=("infant", "small_child")),
    Goals(path="unrefined", cut=1.0, eaters=("diabetes",)),
    Goals(path="zero", cut=0.8, eaters=("diabetes", "sensitive")),
    Goals(path="blend", cut=0.6, eaters=("pku",)),
    Goals(path="blend", cut=0.95),
)
SHARES = {
    "total_sugars_g": "1",
    "refined_sugar_g": "refined_share",
    "added_sugars_us_g": "added_us_share",
    "free_sugars_who_g": "free_who_share",
}
POLYOLS = ("erythritol_g", "xylitol_g", "sorbitol_g", "maltitol_g")


def rows(name: str) -> list[dict[str, str]]:
    """Return a table as it lies on the disk."""
    with (FOLDER / f"{name}.csv").open(encoding="utf-8", newline="") as handle:
        return list(csv.DictReader(handle))


FOODS = {row["key"]: row for row in rows("pantry")}
SWEET = {
    row["key"].removeprefix("sweet_"): float(row["value"])
    for row in rows("constants")
    if row["key"].startswith("sweet_")
}


def holds(key: str, *fields: str) -> float:
    """Return how much 1 g of a food holds of some fields [g/g]."""
    return sum(float(FOODS[key][field]) for field in fields) / 100


def counted(key: str, definition: str) -> float:
    """Return the sugar of a definition in 1 g of a food [g/g]."""
    share = SHARES[definition]
    return holds(key, "total_sugars_g") * (1.0 if share == "1" else float(FOODS[key][share]))


def portion(formula: Formula, *fields: str) -> float:
    """Return how much one portion holds of some fields."""
    return sum(holds(x.ingredient.key, *fields) * x.grams for x in formula.lines) / formula.servings


def free(formula: Formula) -> float:
    return sum(counted(x.ingredient.key, "free_sugars_who_g") * x.grams for x in formula.lines) / formula.servings


class WordsAndGrams(unittest.TestCase):
    plans: list[tuple[str, Goals, Plan]]

    @classmethod
    def setUpClass(cls) -> None:
        pantry, cls.plans = shipped_pantry(), []
        for name, text in DESSERTS.items():
            formula, _ = from_reading(read_recipe(text, pantry), pantry)
            for goals in WISHES:
                try:
                    cls.plans.append((name, goals, rework(formula, goals, pantry)))
                except NothingToReworkError:
                    continue

    def assertSaid(self, said: str, wanted: float, where: str) -> None:
        """Fail unless a number is the one wanted, as rounded as it is said."""
        value = float(said.replace(",", ""))
        half = 0.06 if "." in said or value < 10 else 0.51
        self.assertLessEqual(abs(value - wanted), half + 0.002 * abs(wanted), f"{where}: says {said}, is {wanted:.3f}")

    def test_the_first_line_of_a_plan(self) -> None:
        for name, goals, plan in self.plans:
            if plan.before.own_yields:
                continue
            found = re.match(
                r"Free sugar in each .+: ([\d.]+) g before, ([\d.]+) g after; (?:(\d+) kcal (less|more)|calories as before)",
                plan.words,
            )
            with self.subTest(name, path=goals.path):
                assert found is not None
                self.assertSaid(found[1], free(plan.before), "before")
                self.assertSaid(found[2], free(plan.after), "after")
                energy = portion(plan.after, "energy_kcal") - portion(plan.before, "energy_kcal")
                if found[3]:
                    self.assertEqual(found[4], "less" if energy < 0 else "more")
                self.assertAlmostEqual(float(found[3] or 0), abs(energy), delta=1.01)

    def test_why_a_sugar_goes(self) -> None:
        seen = 0
        for name, goals, plan in self.plans:
            for line in plan.lines:
                if found := re.match(r"the cut asked for: ([\d.]+) g less", line.reason):
                    saved = (
                        (line.before_g - line.after_g) * counted(line.ingredient, goals.counted) / plan.before.servings
                    )
                    with self.subTest(name, path=goals.path, line=line.name):
                        self.assertSaid(found[1], saved, line.reason)
                    seen += 1
                if found := re.search(r"; (\d+) % stays", line.reason):
                    self.assertAlmostEqual(float(found[1]), 100 * line.after_g / line.before_g, delta=0.51)
        self.assertGreater(seen, 50)

    def test_why_a_sweetener_comes(self) -> None:
        seen: dict[str, int] = {}

        def check(pattern: str, line: PlanLine, wanted: float) -> None:
            if found := re.search(pattern, line.reason):
                seen[pattern] = seen.get(pattern, 0) + 1
                self.assertSaid(found[1], wanted, line.reason)

        for name, goals, plan in self.plans:
            for line in plan.lines:
                if line.position is not None or "as sweet as" not in line.reason:
                    continue
                key, grams = line.ingredient, line.after_g
                with self.subTest(name, path=goals.path, line=line.name):
                    if not float(FOODS[key]["glycosides_g"]):
                        sweet = sum(
                            holds(key, f"{sugar}_g") * factor
                            for sugar, factor in SWEET.items()
                            if f"{sugar}_g" in FOODS[key]
                        )
                        check(r"as sweet as ([\d.]+) g of sugar", line, sweet * grams)
                    check(r"brings ([\d.]+) g of water", line, holds(key, "water_g") * grams)
                    check(r"([\d.]+) g of it is free sugar", line, holds(key, "total_sugars_g") * grams)
                    check(r"fills ([\d.]+) g of the bulk", line, holds(key, *POLYOLS, "allulose_g") * grams)
                    is_own = holds(key, "total_sugars_g") > 0.05 and float(FOODS[key]["free_who_share"]) == 0
                    self.assertEqual("its sugar is the fruit's own" in line.reason, is_own)
                    told_free = "of it is free sugar" in line.reason
                    self.assertEqual(
                        told_free, holds(key, "total_sugars_g") > 0.05 and float(FOODS[key]["free_who_share"]) > 0.5
                    )
                    self.assertEqual("brings" in line.reason, holds(key, "water_g") * grams >= 3)
        self.assertEqual(len(seen), 4, seen)
        self.assertTrue(all(count >= 3 for count in seen.values()), seen)

    def test_what_a_portion_is_said_to_hold(self) -> None:
        seen: dict[str, int] = {}
        for name, goals, plan in self.plans:
            eaten = plan.after
            if eaten.own_yields:
                continue
            told = " ".join(plan.cautions)
            wanted: dict[str, float] = {
                r"best no free sugar at all \(([\d.]+) g in a portion\)": free(eaten),
                r"little after it \(([\d.]+) g of free sugar": free(eaten),
                r"a portion holds ([\d.]+) g of carbohydrate": portion(eaten, "carbohydrate_g"),
                r"\(([\d.]+) g of it sugar alcohols\)": portion(eaten, *POLYOLS),
                r"of carbohydrate(?: \([^)]*\))?, ([\d.]+) g in the original": portion(plan.before, "carbohydrate_g"),
                r"a portion holds ([\d.]+) g of protein": portion(eaten, "protein_g"),
                r"of protein, ([\d.]+) g in the original": portion(plan.before, "protein_g"),
                r"(\d+) g of erythritol \(limit": portion(eaten, "erythritol_g"),
                r"(\d+) g of allulose \(limit": portion(eaten, "allulose_g"),
                r"(\d+) g of inulin \(limit": portion(eaten, "inulin_g"),
                r"(\d+) g of sugar alcohols \(limit": portion(eaten, "xylitol_g", "sorbitol_g", "maltitol_g"),
            }
            for pattern, value in wanted.items():
                if found := re.search(pattern, told):
                    seen[pattern] = seen.get(pattern, 0) + 1
                    with self.subTest(name, path=goals.path, pattern=pattern):
                        self.assertSaid(found[1], value, told)
            together = sum(
                portion(eaten, field) / limit
                for field, limit in (
                    *(("erythritol_g", 15), ("inulin_g", 8), ("allulose_g", 20)),
                    *(("xylitol_g", 10), ("sorbitol_g", 10), ("maltitol_g", 10)),
                )
            )
            if abs(together - 1) > 0.02:
                self.assertEqual("what a sitting bears" in told, together > 1, f"{name} {together}")
        self.assertGreaterEqual(len(seen), 7, seen)

    def test_what_is_said_of_the_rule_of_thumb(self) -> None:
        cups = {
            row["key"]: float(row["grams"])
            for row in rows("pantry_measures")
            if row["unit"] == "cup" and not row["form"]
        }
        rules = {row["ingredient"]: float(row["cups_per_cup"]) for row in rows("rules_of_thumb")}
        seen = {"only": 0, "brings": 0}
        for name, goals, plan in self.plans:
            out = sum(x.before_g - x.after_g for x in plan.lines if x.reason.startswith("the cut asked for"))
            for told in plan.by_the_book:
                # So many cups for each cup of sugar that goes (common practice, as the table's row says).
                rule_g = out / cups["white_sugar"] * rules[told.ingredient] * cups[told.ingredient]
                with self.subTest(name, path=goals.path, food=told.ingredient):
                    self.assertAlmostEqual(told.rule_g, rule_g, delta=0.02 * rule_g + 0.1)
                    plan_g = sum(
                        x.after_g for x in plan.lines if x.ingredient == told.ingredient and x.position is None
                    )
                    self.assertAlmostEqual(told.plan_g, plan_g, delta=0.06)
                    if found := re.search(r"asks this one for only (\d+) % of that", told.why):
                        seen["only"] += 1
                        self.assertAlmostEqual(float(found[1]), 100 * told.plan_g / told.rule_g, delta=0.6)
                    found = re.search(r"would bring (\d+) % of the sweetness taken out", told.why)
                    if found and not float(FOODS[told.ingredient]["glycosides_g"]):
                        seen["brings"] += 1
                        sweet = sum(
                            holds(told.ingredient, f"{sugar}_g") * factor
                            for sugar, factor in SWEET.items()
                            if f"{sugar}_g" in FOODS[told.ingredient]
                        )
                        self.assertAlmostEqual(float(found[1]), 100 * sweet * told.rule_g / out, delta=1.0)
        self.assertGreater(min(seen.values()), 5, seen)

    def test_what_could_not_be_had(self) -> None:
        seen = 0
        for name, goals, plan in self.plans:
            before = sum(counted(x.ingredient.key, goals.counted) * x.grams for x in plan.before.lines)
            after = sum(counted(x.ingredient.key, goals.counted) * x.grams for x in plan.after.lines)
            reached = 1 - after / before
            told = [u for u in plan.unmet if u.goal == "cut"]
            with self.subTest(name, path=goals.path):
                self.assertEqual(bool(told), reached < goals.wanted_cut - 0.02, reached)
                for unmet in told:
                    found = re.search(r"falls by (\d+) % instead of (\d+) %", unmet.words)
                    assert found is not None
                    self.assertSaid(found[1], 100 * reached, unmet.words)
                    self.assertSaid(found[2], 100 * goals.wanted_cut, unmet.words)
                    seen += 1
        self.assertGreater(seen, 10)

    def test_how_sweet_it_is_said_to_be(self) -> None:
        seen = 0
        for name, goals, plan in self.plans:
            keys = {x.ingredient.key for x in (*plan.before.lines, *plan.after.lines)}
            if (
                any(x.is_inclusion for x in plan.before.lines)
                or len(plan.balance) != 1
                or len(plan.before.components) != 1
                or any(float(FOODS[k]["glycosides_g"]) for k in keys)
            ):
                continue
            old, new = (
                sum(
                    holds(x.ingredient.key, f"{sugar}_g") * factor * x.grams
                    for x in f.lines
                    for sugar, factor in SWEET.items()
                    if f"{sugar}_g" in FOODS[x.ingredient.key]
                )
                / sum(x.grams for x in f.lines)
                for f in (plan.before, plan.after)
            )
            verdict = next(v for v in plan.balance[0].verdicts if v.key == "sweetness")
            with self.subTest(name, path=goals.path):
                found = re.match(r"(\d+) % as sweet", verdict.words)
                assert found is not None
                self.assertAlmostEqual(float(found[1]), 100 * new / old, delta=1.5)
            seen += 1
        self.assertGreater(seen, 5)

    def test_what_a_portion_saves(self) -> None:
        for name, goals, plan in self.plans:
            if plan.before.own_yields:
                continue
            # Against as many grams of the original: a slice that only got smaller saves nothing.
            mass = sum(x.grams for x in plan.after.lines) / plan.after.servings
            ratio = mass / (sum(x.grams for x in plan.before.lines) / plan.before.servings)
            with self.subTest(name, path=goals.path):
                self.assertAlmostEqual(
                    plan.savings.free_sugars_who_g, free(plan.before) * ratio - free(plan.after), delta=0.01
                )
                energy = portion(plan.before, "energy_kcal") * ratio - portion(plan.after, "energy_kcal")
                self.assertAlmostEqual(plan.savings.energy_kcal, 100 * energy / 100, delta=0.5)


if __name__ == "__main__":
    unittest.main()
