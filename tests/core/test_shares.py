"""Shares and factors that a sample of changes left free: energy by law, a limit shared out, what a sitting names, what is left over."""

from __future__ import annotations

import unittest

from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.kitchen.mass import SOLIDS, Mass
from sun_crumb.core.method import MethodLine, read_method
from sun_crumb.core.method.lines import lines_of_foods
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.quantities.household import SpoonWeights, spoon_text
from sun_crumb.core.reading.records import Step
from sun_crumb.core.rework import parts
from sun_crumb.core.sugars.sittings import sittings
from sun_crumb.core.telling.advice import cautions
from sun_crumb.core.wish import Goals
from tests.support import lines_of

# kcal a gram: Regulation (EU) 1169/2011, annex XIV (allulose: FDA guidance of 2020; erythritol 0).
BY_LAW = {"protein_g": 4.0, "fat_g": 9.0, "fibre_g": 2.0, "xylitol_g": 2.4, "sorbitol_g": 2.4, "maltitol_g": 2.4, "alcohol_g": 7.0, "allulose_g": 0.4}  # fmt: skip


class Factors(unittest.TestCase):
    def test_a_part_carries_energy_by_the_laws_factors(self) -> None:
        for name, factor in BY_LAW.items():
            if name not in SOLIDS:
                continue
            with self.subTest(name):
                solids = tuple(50.0 if s in (name, "starch_g") else 0.0 for s in SOLIDS)
                whole = Mass(100.0, 0.0, 0.0, 50.0 * factor + 50.0 * 4.0, solids)
                self.assertAlmostEqual(whole.part({name: 1.0}, 0.0).energy_kcal, 50.0 * factor, places=6)

    def test_a_limit_is_shared_as_it_is_held(self) -> None:
        """A cake with three quarters of the energy may hold three quarters of the limit, and what is left alone goes first."""
        cake = lines_of(white_sugar=150.0, plain_flour=150.0)
        top = tuple(FormulaLine(x.ingredient, x.grams, "top") for x in lines_of(white_sugar=50.0, plain_flour=50.0))
        alone = tuple(FormulaLine(x.ingredient, x.grams, "fruit") for x in lines_of(apple=100.0))
        formula = Formula("x", (*cake, *top, *alone), 10)
        split = [
            (c, formula.only(c), [i for i, x in enumerate(formula.lines) if x.component == c])
            for c in ("", "top", "fruit")
        ]
        goals = Goals(path="less", most_energy_kcal=100.0)
        apple = shipped_pantry()["apple"].per_100g.energy_kcal
        found = {c: parts._allowed(split, {"", "top"}, c, goals)["energy"] for c in ("", "top")}
        self.assertAlmostEqual(found[""] / found["top"], 3.0, places=6)
        self.assertAlmostEqual(sum(found.values()), 1000.0 - apple, places=6)


class Named(unittest.TestCase):
    def test_a_trace_is_no_part_of_a_sittings_caution(self) -> None:
        """What lies under a twentieth of its own limit is not named beside what passes its own."""
        limits = {one.key: one for one in sittings()}
        erythritol, inulin = limits["erythritol"], limits["inulin"]
        for share, is_named in ((0.04, False), (0.06, True)):
            lines = lines_of(erythritol=1.4 * erythritol.most_g, inulin=share * inulin.most_g, plain_flour=100.0)
            held = inulin.held_per_gram(shipped_pantry()["inulin"].per_100g)
            lines = (lines[0], FormulaLine(lines[1].ingredient, lines[1].grams / held), lines[2])
            told = " ".join(cautions(Formula("x", lines, 1), set()))
            self.assertEqual(inulin.name in told, is_named, (share, told))


class LeftOver(unittest.TestCase):
    def lines(self) -> tuple[MethodLine, ...]:
        pantry = shipped_pantry()
        return lines_of_foods(
            (f"{grams} g {pantry[key].name}", "", pantry[key], grams, "")
            for key, grams in (("butter", 100.0), ("white_sugar", 90.0), ("plain_flour", 200.0))
        )

    def test_a_line_of_which_nothing_is_named_is_unplaced_and_one_wholly_used_is_not(self) -> None:
        read = read_method([Step("Cream the butter with the sugar.", (), "")], self.lines())
        self.assertEqual(read.unplaced, (2,))
        read = read_method(
            [Step("Cream the butter with half the sugar. Fold in the flour and the rest of the sugar.", (), "")],
            self.lines(),
        )
        self.assertEqual(read.unplaced, ())


class Spoons(unittest.TestCase):
    def test_a_cup_is_said_within_two_in_a_hundred(self) -> None:
        weights = SpoonWeights(200.0, 12.5, 4.2)
        for grams in range(190, 420, 1):
            told = spoon_text(float(grams), weights)
            if told in ("1 cup", "2 cups"):
                self.assertLessEqual(abs(grams - 200.0 * int(told[0])), 0.02 * grams)


if __name__ == "__main__":
    unittest.main()
