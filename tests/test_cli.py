"""The command line as scripts use it, in processes of its own."""

from __future__ import annotations

import io
import json
import os
import subprocess
import sys
import tempfile
import unittest
from contextlib import redirect_stderr, redirect_stdout
from datetime import date
from pathlib import Path
from typing import Any, get_args
from unittest.mock import patch

from sun_crumb.cli import main
from sun_crumb.commands.household import BY
from sun_crumb.services import bakes
from sun_crumb.services.diary import By
from sun_crumb.store import Database
from tests.support import CAKE

READ_LINE_KEYS = {
    "text", "component", "status", "quantity_low", "quantity_high", "unit", "size", "name", "preparation", "is_optional",
    "alternatives", "ingredient", "confidence", "grams", "grams_low", "grams_high", "stated_grams", "candidates", "conflict",
}  # fmt: skip
TOTAL_KEYS = {
    "mass_g", "energy_kcal", "total_sugars_g", "refined_sugar_g", "added_sugars_us_g", "free_sugars_who_g",
    "free_sugars_uk_g", "water_g", "sucrose_equivalent_g", "fat_g", "protein_g", "carbohydrate_g", "fibre_g",
}  # fmt: skip


def run(*arguments: str, text: str = "", **environment: str) -> subprocess.CompletedProcess[str]:
    """Run sun-crumb with *text* on its standard input."""
    return subprocess.run(
        [sys.executable, "-m", "sun_crumb.cli", *arguments],
        input=text,
        capture_output=True,
        text=True,
        timeout=60,
        env=os.environ | environment,
        check=False,
    )


def here(*arguments: str, **environment: str) -> tuple[int, str, str]:
    """Run sun-crumb in this process, which is quicker; return its code, and what it wrote out and said."""
    out, err = io.StringIO(), io.StringIO()
    with patch.dict(os.environ, environment), redirect_stdout(out), redirect_stderr(err):
        code = main(arguments)
    return code, out.getvalue(), err.getvalue()


class Commands(unittest.TestCase):
    def json(self, *arguments: str, text: str = CAKE) -> Any:
        done = run(*arguments, text=text)
        self.assertEqual((done.returncode, done.stderr), (0, ""))
        return json.loads(done.stdout)

    def test_read_keeps_its_contract(self) -> None:
        found = self.json("read", "-")
        self.assertLessEqual({"title", "yield", "cup_ml", "oven", "lines"}, set(found))
        self.assertEqual(found["yield"], {"count": 16, "unit": "square"})
        self.assertEqual(found["oven"], {"temperature_c": 180.0, "is_fan": False})
        for line in found["lines"]:
            self.assertLessEqual(READ_LINE_KEYS, set(line))

    def test_wishes_reach_the_engine(self) -> None:
        found = self.json(
            "rework", "-", "--path", "blend", "--cut", "0.4", "--avoid", "treenut", "--without", "honey,maple syrup",
            "--including", "banana", "--lock", "egg=150", "--lock", "butter", "--most-kcal", "500",
        )  # fmt: skip
        lines = {line["ingredient"]: line for line in found["lines"]}
        self.assertEqual(lines["egg"]["after_g"], 150.0)
        self.assertEqual(lines["butter"]["after_g"], lines["butter"]["before_g"])
        self.assertGreater(lines["banana"]["after_g"], 5)
        self.assertNotIn("honey", lines)
        self.assertEqual(len(found["claims"]), 8)

    def test_amounts_counts_caps_and_flavours_reach_the_engine(self) -> None:
        found = self.json(
            "rework", "-", "--path", "less", "--amount", "honey=30", "--flavours", "vanilla,zest", "--cap", "paste=0.05",
        )  # fmt: skip
        lines = {line["ingredient"]: line for line in found["lines"]}
        self.assertEqual(lines["honey"]["after_g"], 30.0)
        self.assertGreater(lines["vanilla"]["after_g"], 2)
        few = self.json("rework", "-", "--path", "blend", "--most-new", "1", "--cup", "metric")
        self.assertLessEqual(len(few["by_the_book"]), 1)

    def test_what_is_priced_may_cost_only_so_much(self) -> None:
        prices = ("--price", "honey=30", "--price", "maple syrup=2", "--price", "sugar=1")
        dear = self.json("rework", "-", "--path", "unrefined", "--cupboard", "honey,maple syrup", "--cut", "0.5")
        found = self.json(
            "rework",
            "-",
            "--path",
            "unrefined",
            "--cupboard",
            "honey,maple syrup",
            "--cut",
            "0.5",
            *prices,
            "--most-cost",
            "0.05",
        )
        self.assertIn("honey", {line["ingredient"] for line in dear["lines"]})
        self.assertLess(sum(x["after_g"] for x in found["lines"] if x["ingredient"] == "honey"), 20)

    def test_five_paths_in_one_call(self) -> None:
        found = self.json("paths", "-", "--cut", "0.4")
        self.assertEqual([side["path"] for side in found["paths"]], ["fruit", "less", "unrefined", "zero", "blend"])
        for side in found["paths"]:
            self.assertEqual(set(side["per_serving"]), TOTAL_KEYS)

    def test_bad_wishes_exit_2_and_name_their_field(self) -> None:
        for arguments, field in (
            (("--amount", "honey=lots"), "amount"), (("--amount", "moon=3"), "amount"), (("--cap", "paste"), "cap"),
            (("--most-new", "9"), "most_new"), (("--flavours", "moon"), "flavours"), (("--cap", "salt=0.1"), "caps"),
            (("--lock", "moon=3"), "lock"), (("--lock", "egg=many"), "lock"), (("--lock", "walnuts"), "lock"),
            (("--without", "moon"), "without"), (("--avoid", "moon"), "avoid"), (("--most-kcal", "0"), "most_energy_kcal"),
            (("--price", "honey=cheap"), "price"), (("--price", "moon=2"), "price"), (("--most-cost", "-1"), "most_cost"),
        ):  # fmt: skip
            done = run("rework", "-", *arguments, text=CAKE)
            with self.subTest(arguments):
                self.assertEqual((done.returncode, done.stdout), (2, ""))
                self.assertEqual(json.loads(done.stderr)["error"]["field"], field)

    def test_analyse_keeps_its_contract(self) -> None:
        found = self.json("analyse", "-")
        self.assertEqual(found["servings"], 16)
        for part in ("batch", "per_serving", "per_100g"):
            self.assertEqual(set(found[part]), TOTAL_KEYS)
            self.assertEqual(set(found["components"][0][part]), TOTAL_KEYS)
        self.assertAlmostEqual(found["batch"]["refined_sugar_g"], 199.6, places=1)

    def test_rework_keeps_its_contract(self) -> None:
        found = self.json(
            "rework",
            "-",
            "--path",
            "blend",
            "--cut",
            "0.5",
            "--keep-sweet",
            "0.85",
            "--cupboard",
            "honey,dates",
            "--diet",
            "vegetarian",
        )
        self.assertLessEqual(
            {"status", "lines", "balance", "before", "after", "by_the_book", "cautions", "unmet", "solve_ms"},
            set(found),
        )
        self.assertIn(found["status"], ("balanced", "strained", "unmet"))
        for line in found["lines"]:
            self.assertLessEqual({"ingredient", "before_g", "after_g", "household", "reason"}, set(line))
        for metric in found["balance"].values():
            self.assertLessEqual({"before", "after", "deviation", "band", "words"}, set(metric))
        self.assertEqual(set(found["after"]["batch"]), TOTAL_KEYS)
        self.assertIn("date_paste", {x["ingredient"] for x in found["lines"]})

    def test_bad_input_exits_2_with_the_apis_error_object(self) -> None:
        cases = (
            (("read", "-"), "", "empty_recipe", "text"),
            (("read", "/no/such/file"), "", "bad_input", "file"),
            (("analyse", "-"), "Cake\nfnord", "empty_recipe", "text"),
            (("rework", "-", "--cut", "7"), CAKE, "out_of_domain", "cut"),
            (("rework", "-", "--cupboard", "bricks"), CAKE, "unknown_ingredient", "cupboard"),
            (("rework", "-"), "Bread\n500 g flour\n300 g water", "nothing_to_rework", "lines"),
            (("read", "-"), "1 cup sugar\n" * 170_000, "text_too_long", "text"),
        )
        for arguments, text, code, field in cases:
            with self.subTest(arguments, code=code):
                done = run(*arguments, text=text)
                self.assertEqual((done.returncode, done.stdout), (2, ""))
                error = json.loads(done.stderr)["error"]
                self.assertEqual((error["code"], error["field"]), (code, field))
                self.assertLessEqual({"code", "message", "field", "details"}, set(error))

    def test_recipes_go_out_of_the_users_shelf_and_come_in(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            imported = run("import", "-", text=CAKE, SUN_CRUMB_DATA=folder)
            self.assertEqual(json.loads(imported.stdout), {"text": CAKE, "recipe_id": None})
            own = {
                "format": "sun-crumb-recipe", "version": 1, "title": "Fig cake", "cup": "us",
                "versions": [{"label": "Original", "servings": 8, "unit": "slice", "lines": [{"ingredient": "white_sugar", "grams": 100}]}],
            }  # fmt: skip
            number = json.loads(run("import", "-", text=json.dumps(own), SUN_CRUMB_DATA=folder).stdout)["recipe_id"]
            found = json.loads(run("export", str(number), "--format", "csv", SUN_CRUMB_DATA=folder).stdout)
            self.assertEqual((found["name"], found["media_type"]), ("fig-cake.csv", "text/csv"))
            self.assertIn("white_sugar", found["content"])
            self.assertEqual(run("export", "99", SUN_CRUMB_DATA=folder).returncode, 2)

    def test_tastings_slices_and_sums_from_the_command_line(self) -> None:
        with tempfile.TemporaryDirectory() as folder:

            def done(*words: str) -> Any:
                code, out, err = here(*words, SUN_CRUMB_DATA=folder)
                self.assertEqual((code, err), (0, ""), words)
                return json.loads(out)

            own = {
                "format": "sun-crumb-recipe", "version": 1, "title": "Fig cake", "cup": "us",
                "versions": [{"label": "Original", "servings": 8, "unit": "slice", "lines": [
                    {"ingredient": "caster_sugar", "grams": 200}, {"ingredient": "plain_flour", "grams": 200}, {"ingredient": "egg", "grams": 200}]}],
            }  # fmt: skip
            run("import", "-", text=json.dumps(own), SUN_CRUMB_DATA=folder)
            database = Database(Path(folder) / "sun-crumb.db")
            version = bakes.bake(database, 1, date(2026, 3, 1))[0]
            database.close()
            self.assertEqual(done("bakes")["bakes"][0]["portions"][0]["id"], version.id)
            eaten = done("log", str(version.id), "--count", "2", "--who", "Ines", "--on", "2026-03-02", "--at", "16:30")
            self.assertEqual((eaten["count"], eaten["eaten_at"]), (2.0, 990))
            slip = done("log", "--slip", "ketchup", "grams=17", "sugars=3.7", "--on", "2026-03-02")
            self.assertEqual(slip["free_sugars_who_g"], 3.7)
            sums = done(
                "ledger",
                "--from",
                "2026-03-01",
                "--to",
                "2026-03-31",
                "--by",
                "month",
                "--definition",
                "total_sugars_g",
            )
            self.assertAlmostEqual(sums["total"]["sugar_g"], 2 * version.total_sugars_g + 3.7, delta=0.02)
            judged = done("taste", "1", "crumb=gummy", "liked=gladly", "--on", "2026-03-02", "--who", "Ines", "--blind")
            self.assertEqual((judged["mean"], judged["tastings"][0]["is_blind"]), ({"crumb": 2.0, "liked": 2.0}, True))
            self.assertTrue(judged["causes"])
            self.assertEqual(done("learned"), {"lessons": []})
            self.assertEqual(done("panel", "1")["us"]["law"], "US")
            whole = done("export", "--all")["content"]
            with tempfile.TemporaryDirectory() as other:
                back = run("import", "--all", "-", text=whole, SUN_CRUMB_DATA=other)
                self.assertEqual(json.loads(back.stdout)["servings"], 1)
                again = json.loads(run("export", "--all", SUN_CRUMB_DATA=other).stdout)["content"]
                self.assertEqual(json.loads(again)["household"], json.loads(whole)["household"])
            for words, field in (
                (("taste", "1", "crumb=soggy"), "scores.crumb"), (("taste", "9", "crumb=0"), "bake_id"), (("log", "--slip", "x", "salt=1"), "given"),
                (("log",), "portion"), (("log", "1", "--at", "25:00"), "at"), (("ledger", "--from", "soon"), "from"), (("export",), "recipe"),
            ):  # fmt: skip
                code, _, err = here(*words, SUN_CRUMB_DATA=folder)
                with self.subTest(words):
                    self.assertEqual((code, json.loads(err)["error"]["field"]), (2, field))

    def test_two_recipes_are_compared(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            one, two = Path(folder) / "one.txt", Path(folder) / "two.txt"
            one.write_text("One\nServes 10\n400 g sugar\n400 g plain flour", encoding="utf-8")
            two.write_text("Two\nServes 10\n200 g sugar\n500 g plain flour", encoding="utf-8")
            code, out, _ = here("compare", str(one), str(two), "--portion", "80")
            self.assertEqual(code, 0)
            self.assertAlmostEqual(json.loads(out)["grams"], 200 * 80 / 700 - 40, delta=0.2)
            code, out, _ = here("compare", "food:honey", str(two))
            self.assertEqual((code, json.loads(out)["first"]["title"]), (0, "honey"))
            code, _, err = here("compare", "food:gravel", str(two))
            self.assertEqual((code, json.loads(err)["error"]["code"]), (2, "unknown_ingredient"))

    def test_sums_can_be_of_what_the_diary_knows(self) -> None:
        self.assertEqual(BY, get_args(By))

    def test_the_demo_never_touches_the_users_folder(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            done = run("demo", "--folder", folder, SUN_CRUMB_DATA=folder)
            self.assertEqual(done.returncode, 2)
            self.assertEqual(json.loads(done.stderr)["error"]["field"], "folder")
            self.assertEqual(list(Path(folder).iterdir()), [])
