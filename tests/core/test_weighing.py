"""What is in the bowl against what the plan says."""

from __future__ import annotations

import unittest

from hypothesis import given
from hypothesis import strategies as st

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.tins import read_size, refit
from sun_crumb.core.kitchen.weighing import Target, checked, is_off, longer_min, scaled, tolerance_g, totals_by_line

GRAMS = st.floats(5.0, 900.0)


class Weighing(unittest.TestCase):
    def test_a_kitchen_scales_step_is_never_off(self) -> None:
        """A scale that tells whole grams may be one off (common practice, no published source)."""
        for target in (0.4, 5.0, 12.0, 31.8):
            self.assertFalse(is_off(target, target + 1.0))
            self.assertTrue(is_off(target, target + 1.5))
        self.assertFalse(is_off(500.0, 514.9))
        self.assertTrue(is_off(500.0, 515.1))
        self.assertAlmostEqual(tolerance_g(500.0), 15.0)

    def test_what_is_no_weighing_is_refused_by_name(self) -> None:
        for target, grams in ((30.0, -1.0), (30.0, 241.0), (200.0, 751.0), (100.0, 20_001.0), (100.0, float("nan"))):
            with self.subTest(target=target, grams=grams), self.assertRaises(OutOfDomainError) as caught:
                checked(target, grams)
            self.assertEqual(caught.exception.field, "grams")
        self.assertEqual(checked(30.0, 239.0), 239.0)
        self.assertEqual(checked(0.4, 100.0), 100.0)  # too little for a scale: nothing can be told from it

    @given(st.lists(GRAMS, min_size=2, max_size=8), st.floats(0.7, 1.4))
    def test_scaling_keeps_the_proportions(self, grams: list[float], factor: float) -> None:
        plan = [Target(n, 1, g) for n, g in enumerate(grams)]
        found = scaled(plan, {(0, 1): grams[0] * factor}, (0, 1))
        for change in found:
            self.assertAlmostEqual(change.after_g / grams[change.position], factor, delta=0.011)
        left = set(range(1, len(grams))) - {c.position for c in found}
        self.assertTrue(all(abs(grams[n] * (factor - 1)) < 1.06 for n in left))

    @given(st.lists(GRAMS, min_size=2, max_size=6), st.floats(0.5, 1.6))
    def test_nothing_is_taken_out_of_the_bowl_again(self, grams: list[float], factor: float) -> None:
        plan = [Target(n, 1, g) for n, g in enumerate(grams)]
        weighed = {(n, 1): g for n, g in enumerate(grams)} | {(0, 1): grams[0] * factor}
        for change in scaled(plan, weighed, (0, 1)):
            self.assertTrue(change.is_in)
            self.assertGreater(change.after_g, change.before_g)

    def test_a_line_over_two_steps_is_what_was_weighed_and_what_is_to_come(self) -> None:
        plan = [Target(0, 1, 60.0), Target(0, 3, 40.0), Target(1, 2, 9.0)]
        self.assertEqual(totals_by_line(plan, {(0, 1): 66.0, (0, 3): 44.0}), {0: 110.0})
        self.assertEqual(totals_by_line(plan, {}), {})

    def test_more_batter_in_the_same_tin_bakes_as_a_smaller_tin_would(self) -> None:
        """The rule from tin to tin, by depth: 20 cm square holds what lies 1.25 times as deep in 20 x 16 cm."""
        low, high = refit(read_size("20 cm square"), read_size("16 x 20 cm"), (40, 40), keep_amount=True).minutes or (
            0,
            0,
        )
        self.assertAlmostEqual(longer_min((40, 40), 800.0, 1000.0), (low + high) / 2 - 40, delta=1)
        self.assertEqual(longer_min((40, 40), 800.0, 800.0), 0)
        self.assertLess(longer_min((40, 40), 800.0, 760.0), 0)


if __name__ == "__main__":
    unittest.main()
