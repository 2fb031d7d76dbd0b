"""What goes in where by the baker's own word."""

from __future__ import annotations

import unittest

from sun_crumb.core.method import MethodRead, read_method
from sun_crumb.core.method.lines import lines_of_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import method_of, read_recipe
from sun_crumb.core.reading.records import Link
from sun_crumb.core.wish import Goals
from sun_crumb.services import kitchen
from sun_crumb.services.bake_day import steps_of_plan

TEXT = """Oat slice
Makes 12 bars

100 g butter
60 g honey
200 g rolled oats
50 g walnuts
50 g raisins

1. Melt the butter with the honey.
2. Stir in the oats and fold in the walnuts.
3. Press into a tin and bake at 170 °C for 25 minutes.
4. Scatter over whatever is left and cool.
"""


class Links(unittest.TestCase):
    def read(self, *links: Link) -> MethodRead:
        pantry = shipped_pantry()
        reading = read_recipe(TEXT, pantry)
        return read_method(method_of(reading).steps, lines_of_reading(reading, pantry), links)

    def uses(self, read: MethodRead) -> dict[int, list[tuple[str, float]]]:
        """Return by line where it goes in, and how much of it."""
        found: dict[int, list[tuple[str, float]]] = {}
        for step in read.steps:
            for use in step.uses:
                found.setdefault(use.position, []).append((step.text[:12], round(use.share, 3)))
        return found

    def step(self, read: MethodRead, words: str) -> str:
        return next(step.text for step in read.steps if words in step.text)

    def test_a_line_moves_whole_and_the_others_stay(self) -> None:
        before = self.read()
        melt = self.step(before, "Melt")
        moved = self.read(Link(3, melt))
        was, now = self.uses(before), self.uses(moved)
        self.assertEqual(now[3], [(melt[:12], 1.0)])
        self.assertNotEqual(was[3], now[3])
        self.assertEqual({k: v for k, v in now.items() if k != 3}, {k: v for k, v in was.items() if k != 3})
        grams = next(use.grams for step in moved.steps for use in step.uses if use.position == 3)
        self.assertEqual(grams, 50.0)

    def test_two_steps_share_it_and_what_was_in_no_step_is_placed(self) -> None:
        before = self.read()
        melt, press = self.step(before, "Melt"), self.step(before, "Press")
        found = self.read(Link(4, melt), Link(4, press))
        self.assertEqual([share for _, share in self.uses(found)[4]], [0.5, 0.5])
        self.assertNotIn(4, found.unplaced)

    def test_the_step_that_it_left_names_it_no_more(self) -> None:
        melt = self.step(self.read(), "Melt")
        formula, reading, cup = kitchen.read_formula(TEXT)
        planned = kitchen.plan(formula, Goals(path="less", cut=0.2), cup)
        steps = method_of(reading).steps
        told = steps_of_plan(formula, steps, planned, cup, links=(Link(3, melt),))
        texts = [step.text for step in told.steps]
        self.assertEqual([n for n, text in enumerate(texts) if "walnut" in text], [0], texts)
        self.assertIn("Stir in the 200 g oats", texts[1])

    def test_order_follows_the_link(self) -> None:
        """What is baked after something has it in: the bake still comes after the step it was moved to."""
        before = self.read()
        found = self.read(Link(3, self.step(before, "Melt")))
        bake = next(s for s in found.steps if s.wait and s.wait.kind == "bake")
        self.assertTrue(bake.after)

    def test_a_link_to_nothing_changes_nothing(self) -> None:
        self.assertEqual(self.uses(self.read(Link(3, "Sing to it."), Link(99, "Melt"))), self.uses(self.read()))


if __name__ == "__main__":
    unittest.main()
