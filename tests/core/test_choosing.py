"""Several desserts for one table, other plans beside the best, and the front of cut against sweetness."""

from __future__ import annotations

import itertools
import unittest
from dataclasses import replace
from functools import cache

from bench.conventional import DESSERTS

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.exploring.afternoon import OFF, TIE, Chosen, Dessert, _best, afternoon
from sun_crumb.core.exploring.compare import RANK, front, point_of
from sun_crumb.core.exploring.others import STRETCH, others
from sun_crumb.core.formula import Formula, portion, total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import rework
from sun_crumb.core.wish import Goals
from sun_crumb.services.kitchen import read_formula


@cache
def _formula(name: str) -> Formula:
    return read_formula(DESSERTS[name][0])[0]


def _table(*names: str, **wish: object) -> list[Dessert]:
    return [Dessert(_formula(name), Goals(**wish)) for name in names]  # type: ignore[arg-type]


class OneAfternoon(unittest.TestCase):
    def test_a_guest_stays_below_the_limit_by_the_plans_own_grams(self) -> None:
        found = afternoon(_table("vanilla cake", "brownies", "shortbread"), 15.0, shipped_pantry())
        held = 0.0
        for one, dessert in zip(found.desserts, _table("vanilla cake", "brownies", "shortbread"), strict=True):
            after = one.plan.after if one.plan else dessert.formula
            held += portion(total(after.lines), after.servings).free_sugars_who_g
        self.assertTrue(found.is_held)
        self.assertAlmostEqual(found.free_sugar_g, held, places=6)
        self.assertLessEqual(held, 15.0)

    def test_what_is_within_it_already_stays_as_it_is(self) -> None:
        found = afternoon(_table("shortbread", "blueberry muffins"), 40.0, shipped_pantry())
        self.assertEqual([one.cut for one in found.desserts], [0.0, 0.0])
        self.assertIn("as it all is", found.words)

    def test_out_of_reach_is_said_with_the_least_that_can_be_had(self) -> None:
        found = afternoon(_table("ginger snaps", "toffee sauce"), 0.5, shipped_pantry())
        self.assertFalse(found.is_held)
        self.assertIn("out of reach", found.words)
        self.assertGreater(found.free_sugar_g, 0.5)

    def test_a_guest_who_eats_two_counts_twice(self) -> None:
        one = afternoon([Dessert(_formula("shortbread"), Goals(), 1.0)], 50.0, shipped_pantry())
        two = afternoon([Dessert(_formula("shortbread"), Goals(), 2.0)], 50.0, shipped_pantry())
        self.assertAlmostEqual(two.before_g, 2 * one.before_g)

    def test_the_choice_is_the_best_of_all_of_them(self) -> None:
        """Against trying every combination."""

        def made(title: str, options: list[tuple[float, float, float]]) -> list[Chosen]:
            return [Chosen(title, cut, None, 1.0, 20.0, held, 1.0, loss) for cut, held, loss in options]

        table = [
            made("a", [(0.0, 20, 0), (0.3, 14, 0.4), (0.6, 8, 1.9), (0.9, 2, 5.0)]),
            made("b", [(0.0, 12, 0), (0.45, 6.5, 1.2), (0.9, 1, 1.3)]),
            made("c", [(0.0, 9, 0), (0.15, 7, 2.0), (0.75, 3, 2.2)]),
        ]
        for most in (41.0, 30.0, 22.0, 15.0, 9.0, 6.5):
            best = _best(table, most)
            all_of_them = [c for c in itertools.product(*table) if sum(x.free_sugar_g for x in c) <= most]
            least = min(sum(x.loss + TIE * x.cut for x in c) for c in all_of_them)
            self.assertAlmostEqual(sum(x.loss + TIE * x.cut for x in best), least, delta=0.05)

    def test_a_tighter_limit_loses_no_less(self) -> None:
        table = _table("vanilla cake", "brownies")
        losses = [sum(x.loss for x in afternoon(table, most, shipped_pantry()).desserts) for most in (35.0, 20.0, 8.0)]
        self.assertLessEqual(losses[0], losses[1] + 0.3)
        self.assertLessEqual(losses[1], losses[2] + 0.3)
        self.assertGreater(OFF, 0)

    def test_bad_input_names_its_field(self) -> None:
        for field, desserts, most in (
            ("desserts", [], 10.0),
            ("most_g", _table("shortbread"), -1.0),
            ("portions", [Dessert(_formula("shortbread"), Goals(), 0.0)], 10.0),
            ("desserts", _table(*["shortbread"] * 9), 10.0),
        ):
            with self.subTest(field=field), self.assertRaises(OutOfDomainError) as raised:
                afternoon(desserts, most, shipped_pantry())
            self.assertEqual(raised.exception.field, field)


class OtherPlans(unittest.TestCase):
    def test_they_are_really_different_and_nearly_as_good(self) -> None:
        for name in ("vanilla cake", "brownies", "banana loaf", "cheesecake", "blueberry muffins"):
            goals = Goals(cut=0.5)
            best = rework(_formula(name), goals, shipped_pantry())
            found = others(_formula(name), goals, shipped_pantry())
            off = max(point_of(best, goals).off_by, 1.0)
            self.assertLessEqual(len(found), 3)
            brought = [frozenset(x.ingredient for x in best.lines if x.position is None and x.after_g > 0)]
            for one in found:
                with self.subTest(name=name, words=one.words):
                    mine = frozenset(x.ingredient for x in one.plan.lines if x.position is None and x.after_g > 0)
                    self.assertNotIn(mine, brought)
                    brought.append(mine)
                    self.assertLessEqual(RANK[one.plan.status], RANK[best.status])
                    self.assertLessEqual(one.off_by, off + STRETCH)

    def test_its_changes_lead_to_it(self) -> None:
        from dataclasses import replace

        goals = Goals(cut=0.5)
        for one in others(_formula("vanilla cake"), goals, shipped_pantry()):
            again = rework(_formula("vanilla cake"), replace(goals, **one.changes), shipped_pantry())  # type: ignore[arg-type]
            self.assertEqual([x.after_g for x in again.lines], [x.after_g for x in one.plan.lines])

    def test_what_a_diet_rules_out_is_never_offered(self) -> None:
        for one in others(_formula("vanilla cake"), Goals(cut=0.5, diets=("vegan",)), shipped_pantry()):
            self.assertNotIn("honey", one.brings)


class TheFront(unittest.TestCase):
    def test_what_is_on_the_front_is_beaten_by_none(self) -> None:
        for name in ("brownies", "chocolate chip cookies"):
            points = front(_formula(name), Goals(), shipped_pantry())
            self.assertEqual(len(points), 12)
            kept = [p for p in points if p.is_front]
            self.assertTrue(kept)
            for one in kept:
                for two in points:
                    better = (
                        two.reached > one.reached + 0.011
                        and two.sweetness > one.sweetness + 0.011
                        and RANK[two.status] < RANK[one.status]
                    )
                    self.assertFalse(better)

    def test_a_point_of_it_is_a_plan_that_can_be_had(self) -> None:
        for point in front(_formula("vanilla cake"), Goals(), shipped_pantry())[::4]:
            wish = Goals(cut=point.cut, keep_sweet=point.keep_sweet)
            plan = rework(_formula("vanilla cake"), wish, shipped_pantry())
            self.assertLessEqual(RANK[plan.status], RANK[point.status])

    def test_what_can_be_had_less_sweet_has_no_cross(self) -> None:
        """A third of the sugar of a pale cake goes, at seven eighths of its sweetness; the picture said that it can't be had."""
        wish = Goals(path="fruit", cut=0.3)
        points = front(_formula("vanilla cake"), wish, shipped_pantry())
        for point in points:
            plan = rework(
                _formula("vanilla cake"), replace(wish, cut=point.cut, keep_sweet=point.keep_sweet), shipped_pantry()
            )
            with self.subTest(point.cut):
                self.assertEqual(plan.status, point.status)
        self.assertIn("unmet", {point.status for point in points})
        self.assertNotEqual(points[1].status, "unmet")


if __name__ == "__main__":
    unittest.main()
