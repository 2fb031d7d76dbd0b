"""Tastings: what is learned against cases worked by hand, guessing against scipy, causes against their figures, trials, the taper."""

from __future__ import annotations

import doctest
import random
import unittest
from math import exp, log, sqrt

from bench.desserts import DESSERTS
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.stats import binom

from sun_crumb.core.balance import families
from sun_crumb.core.errors import OutOfDomainError, UnknownChoiceError
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.rework import rework
from sun_crumb.core.sugars.sweetness import sucrose_equivalent
from sun_crumb.core.tasting import guessing, learning, sheet, taper
from sun_crumb.core.tasting.causes import Change, causes, facts_of
from sun_crumb.core.tasting.guessing import guessed
from sun_crumb.core.tasting.learning import (
    PREFERENCE,
    Answer,
    LiquidSign,
    OvenSign,
    learn_liquid,
    learn_oven,
    learn_sweetness,
    shares_of,
)
from sun_crumb.core.tasting.taper import Tried, where_we_stand
from sun_crumb.core.tasting.trial import trial
from sun_crumb.core.wish import Goals
from tests.support import CloseTo, formula_of, lines_of

PANTRY = shipped_pantry()


def load_tests(_loader: unittest.TestLoader, tests: unittest.TestSuite, _pattern: str | None) -> unittest.TestSuite:
    for module in (learning, guessing, taper, sheet):
        tests.addTests(doctest.DocTestSuite(module))
    return tests


class Learning(CloseTo):
    def test_three_cases_worked_by_hand(self) -> None:
        """k = v a / (a² v + s²), m += k (z - ln q - a m), v *= 1 - k a, from m = 0, v = 0.09, s = 0.15; worked with a pocket calculator."""
        answers = [
            Answer(1, {"x": 0.6}, 1.0),
            Answer(2, {"x": 0.5}, 1.0),
            Answer(1, {"x": 0.6}, 1.02),
        ]
        for n, (mean, sd, factor) in enumerate(
            ((0.111471, 0.192055, 1.117921), (0.210844, 0.161749, 1.234720), (0.194624, 0.135804, 1.214854)), start=1
        ):
            found = learn_sweetness(answers[:n], with_preference=False)["x"]
            self.assertClose(found.mean, mean, absolute=1e-6)
            self.assertClose(found.sd, sd, absolute=1e-6)
            self.assertClose(found.factor, factor, absolute=1e-6)
            self.assertEqual(found.answers, n)

    def test_product_and_wish_are_learned_together(self) -> None:
        """One answer, by hand: gain = P h / (h P h' + s²) with h = (0.6, -1) and P = diag(0.09, 0.04)."""
        found = learn_sweetness([Answer(2, {"x": 0.6}, 1.0)])
        z, whole = 2 * log(1.12), 0.36 * 0.09 + 0.04 + 0.0225
        self.assertClose(found["x"].mean, 0.6 * 0.09 / whole * z, absolute=1e-12)
        self.assertClose(found[PREFERENCE].mean, -0.04 / whole * z, absolute=1e-12)
        self.assertClose(found[PREFERENCE].sd, sqrt(0.04 - 0.04**2 / whole), absolute=1e-12)
        # Too sweet without any new sweetener can only be the wish.
        self.assertLess(learn_sweetness([Answer(1, {}, 1.0)])[PREFERENCE].mean, -0.03)

    @settings(max_examples=60, deadline=None)
    @given(
        st.lists(
            st.tuples(st.integers(-1, 1), st.floats(0, 1), st.floats(0, 1), st.floats(0.5, 1.5)), min_size=1, max_size=8
        )
    )
    def test_order_does_not_matter_and_doubt_only_falls(self, rows: list[tuple[int, float, float, float]]) -> None:
        answers = [Answer(y, {"a": a, "b": b}, q) for y, a, b, q in rows]
        one, other = learn_sweetness(answers), learn_sweetness(answers[::-1])
        before = learn_sweetness(answers[:-1])
        for key, belief in one.items():
            self.assertClose(belief.mean, other[key].mean, absolute=1e-9)
            if key in before:
                self.assertLessEqual(belief.sd, before[key].sd + 1e-12)

    def test_a_household_of_known_tastes_is_found_out(self) -> None:
        """Simulated: the true factor lies in the stated interval in 90 % of 1,000 households after six tastings."""
        chance, inside = random.Random(2026), 0
        for _ in range(1000):
            theta, wish = chance.gauss(0, 0.3), chance.gauss(0, 0.2)
            answers: list[Answer] = []
            for _ in range(6):
                # Each bake is planned with what is known by then, and comes out near it.
                known = learn_sweetness(answers)
                share = chance.uniform(0.2, 0.9)
                aim = known[PREFERENCE].mean - share * known["x"].mean if known else 0.0
                ratio = exp(aim + chance.gauss(0, 0.05))
                felt = log(ratio) + share * theta - wish + chance.gauss(0, 0.15)
                # Words are whole steps; what lies between is rounded, within the sheet.
                y = max(-2, min(2, round(felt / log(1.12))))
                answers.append(Answer(y, {"x": share}, ratio))
            low, high = learn_sweetness(answers)["x"].interval
            inside += low <= theta <= high
        self.assertGreaterEqual(inside, 900)

    def test_a_share_is_how_the_whole_moves_with_a_foods_factor(self) -> None:
        """Against a numerical derivative of the sweetness itself."""
        lines = lines_of(plain_flour=200, caster_sugar=60, honey=40, stevia_extract=0.4, erythritol=50, butter=100)
        found = shares_of(lines, ["caster_sugar", "plain_flour", "butter"])
        self.assertEqual(set(found), {"honey", "stevia_extract", "erythritol"})
        for key, share in found.items():
            sweet = []
            for factor in (0.999, 1.001):
                pantry = PANTRY.with_sweetness({key: factor})
                sweet.append(log(sucrose_equivalent((pantry[x.ingredient.key].per_100g, x.grams) for x in lines)))
            self.assertClose(share, (sweet[1] - sweet[0]) / log(1.001 / 0.999), absolute=1e-4, msg=key)

    def test_what_is_learned_is_used_by_the_next_plan(self) -> None:
        formula, goals = formula_of(DESSERTS["butter cake"]), Goals(path="zero", cut=0.6)
        grams = {}
        for factor in (0.8, 1.0, 1.25):
            made = rework(formula, goals, PANTRY.with_sweetness({"stevia_erythritol": factor}))
            grams[factor] = sum(x.after_g for x in made.lines if x.ingredient == "stevia_erythritol")
        self.assertGreater(grams[0.8], grams[1.0])
        self.assertGreater(grams[1.0], grams[1.25])

    def test_an_oven_and_a_flour(self) -> None:
        """Two normal beliefs: precision-weighted means by hand."""
        hot = learn_oven([OvenSign(colour=1), OvenSign(colour=2, time_ratio=0.9)])
        weighted = 8 / 81 + 16 / 81 - 60 * log(0.9) / 64
        self.assertClose(hot.mean, weighted / (1 / 100 + 2 / 81 + 1 / 64), absolute=1e-9)
        self.assertEqual((hot.answers, learn_oven([], said_c=8.0).mean), (3, 8.0))
        dry = learn_liquid([LiquidSign(moisture=-1, feel=-1, added=0.04)])
        self.assertClose(dry.mean, ((0.05 + 0.04 + 0.04) / 0.0025) / (1 / 0.0036 + 3 / 0.0025), absolute=1e-9)
        self.assertLess(learn_liquid([LiquidSign(moisture=2)]).mean, 0)

    def test_bad_answers_are_refused(self) -> None:
        for answer in (Answer(3, {}, 1.0), Answer(1, {}, 0.0), Answer(1, {}, float("nan"))):
            with self.assertRaises(OutOfDomainError):
                learn_sweetness([answer])
        self.assertEqual(learn_sweetness([]), {})


class Sheet(unittest.TestCase):
    def test_scores_are_checked_by_name(self) -> None:
        self.assertEqual(list(sheet.checked({"liked": 2, "sweetness": -1})), ["sweetness", "liked"])
        for bad, field in (({}, "scores"), ({"rise": 3}, "scores.rise"), ({"bitter": -1}, "scores.bitter")):
            with self.assertRaises(OutOfDomainError) as caught:
                sheet.checked(bad)
            self.assertEqual(caught.exception.field, field)
        with self.assertRaises(UnknownChoiceError):
            sheet.checked({"charm": 1})
        self.assertEqual(sheet.together([{"rise": -2}, {"rise": -1, "liked": 3}]), {"rise": -1.5, "liked": 3})


class Guessing(CloseTo):
    def test_the_binomials_tail_is_that_of_scipy(self) -> None:
        for trials in (1, 5, 6, 12, 30):
            for right in range(trials + 1):
                for test, p in (("triangle", 1 / 3), ("pair", 1 / 2)):
                    with self.subTest(test, trials=trials, right=right):
                        self.assertClose(
                            guessed(test, trials, right).probability,
                            float(binom.sf(right - 1, trials, p)),
                            absolute=1e-12,
                        )  # type: ignore[arg-type]
                both = min(2 * float(binom.sf(max(right, trials - right) - 1, trials, 0.5)), 1.0)
                self.assertClose(guessed("preference", trials, right).probability, both, absolute=1e-12)

    def test_least_right_answers_of_the_triangle_test(self) -> None:
        """Published minimum numbers of correct answers at 5 %: 4 of 5, 5 of 6, 7 of 10, 9 of 15, 11 of 20, 15 of 30 (ISO 4120, table A.1, from memory)."""
        for trials, least in ((5, 4), (6, 5), (10, 7), (15, 9), (20, 11), (30, 15)):
            with self.subTest(trials):
                self.assertLessEqual(guessed("triangle", trials, least).probability, 0.05)
                self.assertGreater(guessed("triangle", trials, least - 1).probability, 0.05)
                self.assertIn("can be told apart", guessed("triangle", trials, least).words)
                self.assertIn("no difference", guessed("triangle", trials, least - 1).words)

    def test_what_never_happened_is_refused(self) -> None:
        for trials, right, field in ((0, 0, "trials"), (3, 4, "right"), (3, -1, "right")):
            with self.assertRaises(OutOfDomainError) as caught:
                guessed("pair", trials, right)
            self.assertEqual(caught.exception.field, field)


class Causes(unittest.TestCase):
    """Common practice, no published source."""

    def first(self, scores: dict[str, float], **facts: float) -> str:
        return causes(scores, facts)[0].key

    def test_the_same_symptom_has_another_cause_by_the_bakes_own_numbers(self) -> None:
        for scores, facts, key in (
            ({"crumb": 2.0}, {"puree": 0.4, "water_over": 0.12}, "gummy_puree"),
            ({"crumb": 2.0}, {"puree": 0.1, "minutes": 0.9}, "gummy_raw"),
            ({"crumb": 2.0}, {"filler": 0.09}, "gummy_fibre"),
            ({"rise": -2.0}, {"alkali": 6.0, "minutes": 0.9}, "sunk_soda"),
            ({"rise": -2.0}, {"alkali": 0.0, "minutes": 0.9}, "sunk_door"),
            ({"rise": -1.0}, {"lift": -0.2}, "flat_lift"),
            ({"moisture": -1.0}, {"minutes": 1.2}, "dry_baked"),
            ({"moisture": -1.0}, {"liquid": -0.1, "feel": -1.0}, "dry_liquid"),
            ({"colour": 1.0}, {"browning": 1.2}, "dark_sugar"),
            ({"colour": 1.0}, {"oven": 9.0}, "dark_oven"),
            ({"bitter": 1.0}, {"glycosides": 40.0}, "bitter_intense"),
            ({"bitter": 1.0}, {"alkali": 5.0}, "bitter_soda"),
            ({"sweetness": -1.0}, {"sweet": 0.8}, "less_sweet"),
            ({"sweetness": -1.0}, {"sweet": 1.0, "learned": 0.8}, "less_strength"),
            ({"flavour": -1.0}, {"sugar": 0.4}, "flat_taste"),
        ):
            with self.subTest(key):
                self.assertEqual(self.first(scores, **facts), key)

    def test_shares_are_of_one_symptom_and_figures_are_told(self) -> None:
        found = causes({"crumb": 2.0, "rise": 0.2, "liked": 0.0}, {"puree": 0.4})
        self.assertEqual({c.aspect for c in found}, {"crumb"})
        self.assertLessEqual(sum(c.likely for c in found), 1 + 1e-9)
        self.assertEqual(found[0].signs, ("40 % of the batter is purée or paste",))
        self.assertEqual(causes({"rise": 0.0}, {}), ())

    def test_figures_of_a_bake_by_hand(self) -> None:
        before = lines_of(plain_flour=200, caster_sugar=100, egg=100, butter=100)
        after = lines_of(plain_flour=200, caster_sugar=50, egg=100, butter=100, banana=150, erythritol=30)
        found = facts_of(
            before, after, families()["butter_cake"], minutes=0.9, oven_c=6.0, feel=1, learned={"erythritol": -0.2}
        )
        self.assertAlmostEqual(found["puree"], 150 / 630)
        self.assertAlmostEqual(found["polyols"], 30 / 6.3, places=3)
        self.assertAlmostEqual(found["crystals"], 0.5)
        self.assertAlmostEqual(found["learned"], exp(-0.2))
        self.assertEqual((found["minutes"], found["oven"], found["feel"]), (0.9, 6.0, 1.0))
        self.assertNotIn("minutes", facts_of(before, after, families()["butter_cake"]))
        # Soda that the original bears is no fault of the rework's.
        soda = (*before, FormulaLine(PANTRY["baking_soda"], 6.0))
        self.assertEqual(facts_of(soda, soda, families()["butter_cake"])["alkali"], 0.0)
        self.assertGreater(facts_of(before, soda, families()["butter_cake"])["alkali"], 20)


class Trials(unittest.TestCase):
    def setUp(self) -> None:
        self.formula = formula_of(DESSERTS["quick bread"])
        self.goals = Goals(path="blend", cut=0.6)
        self.made = rework(self.formula, self.goals, PANTRY).after

    def test_one_thing_changes_and_only_what_sweetens_follows(self) -> None:
        for kind, factor in (("puree", 0.8), ("egg", 1.25), ("soda", 0.7), ("fat", 1.12)):
            found = trial(self.formula, self.made, self.goals, [Change("line", kind, factor)], PANTRY)
            changed = {m.ingredient for m in found.moved}
            with self.subTest(kind):
                sweeteners = {"caster_sugar", "light_brown_sugar", "stevia_erythritol"}
                meant = {"puree": {"banana", "date_paste"}, "egg": {"egg"}, "soda": {"baking_soda"}, "fat": {"butter"}}[
                    kind
                ]
                self.assertTrue(changed & meant)
                self.assertLessEqual(changed, meant | sweeteners)
                for m in found.moved:
                    if m.ingredient in meant:
                        self.assertEqual(m.after_g > m.before_g, factor > 1, m)
                again = found.goals
                assert again is not None
                # The wish that is kept with it gives the same again.
                kept = rework(self.formula, again, PANTRY)
                self.assertEqual(
                    {x.ingredient: x.after_g for x in kept.lines if x.ingredient in meant},
                    {x.ingredient.key: x.grams for x in found.formula.lines if x.ingredient.key in meant},
                )

    def test_sweeter_is_sweeter_and_an_oven_leaves_the_amounts(self) -> None:
        found = trial(self.formula, self.made, self.goals, [Change("sweet", "", 0.08)], PANTRY)
        sweet = [
            sucrose_equivalent((x.ingredient.per_100g, x.grams) for x in f.lines) / f.mass_g
            for f in (self.made, found.formula)
        ]
        self.assertGreater(sweet[1], sweet[0])
        oven = trial(self.formula, self.made, self.goals, [Change("oven", "minutes", 6)], PANTRY)
        self.assertEqual((oven.minutes, oven.degrees, oven.moved, oven.formula), (6, 0, (), self.made))

    def test_an_original_is_scaled_as_it_stands_and_what_is_not_in_it_is_said(self) -> None:
        found = trial(
            self.formula, self.formula, None, [Change("line", "leaven", 1.15), Change("line", "egg", 1.25)], PANTRY
        )
        self.assertEqual([(m.ingredient, m.before_g, m.after_g) for m in found.moved], [("egg", 100.0, 150.0)])
        with self.assertRaises(OutOfDomainError):
            trial(self.formula, self.formula, None, [Change("line", "filler", 0.6)], PANTRY)


class Taper(unittest.TestCase):
    def test_it_goes_by_small_steps_and_stops_where_scores_fall(self) -> None:
        self.assertEqual(where_we_stand([], 0.5).state, "begin")
        self.assertEqual(where_we_stand([Tried(0.08, None)], 0.5).state, "hold")
        self.assertEqual(where_we_stand([Tried(0.08, 2.0)], 0.5).next_cut, 0.16)
        back = where_we_stand([Tried(0.16, 2.5), Tried(0.24, 1.0)], 0.5)
        self.assertEqual((back.state, back.next_cut), ("back", 0.2))
        stop = where_we_stand([Tried(0.16, 2.5), Tried(0.19, 1.0)], 0.5)
        self.assertEqual((stop.state, stop.next_cut), ("stop", 0.16))
        self.assertEqual(where_we_stand([Tried(0.5, 2.0)], 0.5).state, "there")
        with self.assertRaises(OutOfDomainError):
            where_we_stand([], 0.1, begin=0.2)

    def test_it_never_goes_past_what_it_is_told_they_like(self) -> None:
        chance = random.Random(7)
        for _ in range(400):
            most, target, tried = chance.random(), chance.random(), []
            for _ in range(40):
                stand = where_we_stand(tried, target)
                disliked = [t.cut for t in tried if t.liked is not None and t.liked < taper.LIKED]
                self.assertTrue(all(stand.next_cut < cut for cut in disliked), (tried, stand))
                self.assertLessEqual(stand.next_cut, target + 1e-9)
                if stand.state in ("stop", "there"):
                    break
                tried.append(Tried(stand.next_cut, 2.5 if stand.next_cut <= most else 1.0))
            self.assertIn(stand.state, ("stop", "there"))
            self.assertLessEqual(stand.liked_cut, max(most, 0.0) + 1e-9)
            self.assertGreaterEqual(stand.liked_cut, min(most, target) - 2 * taper.LEAST_STEP - 1e-9)
