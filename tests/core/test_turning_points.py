"""Figures that no test held when a sample of changes was made on purpose: each fails when its line is off."""

from __future__ import annotations

import unittest
from collections import Counter

from bench.desserts import DESSERTS

from sun_crumb.core.balance import families, gauges, measure, verdicts
from sun_crumb.core.balance.norms import absolutes, norms
from sun_crumb.core.balance.patterns import patterns
from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.exploring import effort_of, frontier
from sun_crumb.core.exploring.check import check
from sun_crumb.core.exploring.relaxing import _largest_cut
from sun_crumb.core.formula import Formula, portion, total
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.household import grid_of, household_amount
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.quantities.numbers import WORDS, read_quantity
from sun_crumb.core.reference import constant
from sun_crumb.core.rework import rework
from sun_crumb.core.solving.penalty import CUT_OVER, CUT_SHORT, OUTSIDE
from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.solving.rounding import _choices
from sun_crumb.core.solving.solver import LinearModel
from sun_crumb.core.solving.together import Share, solve
from sun_crumb.core.sugars.sweetness import linear_sweetness
from sun_crumb.core.telling.advice import cautions
from sun_crumb.core.telling.unmet import lost_floor, passed_caps
from sun_crumb.core.wish import Goals
from sun_crumb.core.wish.eaters import eater_cautions
from tests.support import CAKE, CloseTo, batter, formula_of, lines_of
from tests.support.plans import grams_of, plan

PANTRY = shipped_pantry()
ONES = "zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen twenty"


class Numbers(CloseTo):
    def test_number_words_count_up(self) -> None:
        for number, word in enumerate(ONES.split()):
            if word in WORDS:
                self.assertEqual(WORDS[word], number, word)

    def test_fractions_in_words_and_dozens(self) -> None:
        for words, value in (
            ("one third cup", 1 / 3), ("two thirds cup", 2 / 3), ("two third cup", 2 / 3), ("one quarter cup", 0.25), ("three quarters cup", 0.75),
            ("2 dozen", 24), ("3 dozen", 36), ("a dozen", 12),
        ):  # fmt: skip
            found = read_quantity(words)
            assert found is not None, words
            self.assertClose(found.low, value, absolute=1e-9, msg=words)
            self.assertClose(found.high, value, absolute=1e-9, msg=words)


class Bounds(CloseTo):
    def test_wishes_have_their_edges(self) -> None:
        for field, low, high in (
            ("cut", 0.0, 1.0), ("keep_sweet", 0.3, 1.3), ("most_energy_kcal", 1.0, 5000.0), ("most_free_sugar_g", 0.0, 500.0),
            ("most_cost", 0.0, 10_000.0), ("most_new", 0, 6),
        ):  # fmt: skip
            for ok in (low, high):
                Goals(**{field: ok})
            for bad in (low - 0.01 * max(high, 1), high * 1.01 + 0.001):
                with self.subTest(field, value=bad), self.assertRaises(OutOfDomainError) as caught:
                    Goals(**{field: bad})
                self.assertEqual(caught.exception.field, field)
        with self.assertRaises(OutOfDomainError) as caught:
            Goals(most_energy_kcal=0.0)
        self.assertIn("the energy of a portion", caught.exception.message)
        with self.assertRaises(OutOfDomainError) as caught:
            Goals(cut=2.0)
        self.assertTrue(caught.exception.message.startswith("cut must lie"))

    def test_a_limit_that_holds_already_changes_nothing(self) -> None:
        formula = formula_of(DESSERTS["butter cake"])
        free = rework(formula, Goals(path="blend", cut=0.4), PANTRY)
        energy = free.totals_after.energy_kcal / free.after.servings
        sugar = free.totals_after.free_sugars_who_g / free.after.servings
        limits = ({"most_energy_kcal": energy * 1.02}, {"most_free_sugar_g": sugar * 1.05}, {"most_cost": 5.0})
        for limit in limits:
            held = rework(formula, Goals(path="blend", cut=0.4, prices={"butter": 10.0}, **limit), PANTRY)
            with self.subTest(limit):
                self.assertEqual([x.after_g for x in held.lines], [x.after_g for x in free.lines])

    def test_balanced_ends_a_hair_beyond_one_band_and_strained_at_two(self) -> None:
        lines = {
            "plain_flour": 200.0,
            "white_sugar": 150.0,
            "butter": 100.0,
            "egg": 100.0,
            "milk": 80.0,
            "baking_powder": 8.0,
        }
        before = measure(batter(12, **lines).lines)
        by = [g for g in gauges(families()["butter_cake"], before) if g.metric.key == "lift"]
        band = by[0].band[1]
        for share, level in ((1.14, "balanced"), (1.16, "strained"), (1.95, "strained"), (2.1, "off")):
            after = before | {"lift": before["lift"] * (1 + share * band)}
            self.assertEqual(verdicts(by, before, after)[0].level, level, share)

    def test_each_cut_of_the_curve(self) -> None:
        found = frontier(formula_of(DESSERTS["shortbread"]), Goals(path="less"), PANTRY)
        self.assertEqual([point.cut for point in found], [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0])

    def test_what_must_be_made_is_effort(self) -> None:
        made = plan(CAKE, path="fruit", cut=0.4, cupboard=("date_paste",))
        changed, effort = effort_of(made)
        self.assertEqual(effort - changed, PANTRY["date_paste"].effort)
        self.assertGreater(effort, changed)


class Model(CloseTo):
    def test_a_choice_is_one_at_most(self) -> None:
        model = LinearModel()
        chosen = model.binary(-1.0)
        found = model.solve()
        assert found is not None
        self.assertClose(found.values[chosen], 1.0, absolute=1e-9)

    def test_the_cut_comes_before_any_texture(self) -> None:
        """Missing a tenth of the cut costs as much as the worst texture within a band beyond its limits."""
        self.assertClose(0.1 * CUT_SHORT, OUTSIDE, rel=0.01)
        self.assertLess(CUT_OVER, 0.1 * CUT_SHORT)

    def test_a_sweetener_asked_for_by_name_is_tasted(self) -> None:
        """So much at least that it stands for an eighth of the sugar, little as is cut."""
        made = plan(
            DESSERTS["butter cake"],
            path="blend",
            cut=0.1,
            keep_sweet=1.0,
            cupboard=("honey",),
            definition="refined_sugar_g",
        )
        least = 0.12 * 225 / (linear_sweetness(PANTRY["honey"].per_100g) / 100)
        self.assertClose(grams_of(made, "honey"), least, absolute=3)

    def test_lines_that_stay_stay(self) -> None:
        made = plan(DESSERTS["oil cake"], path="zero", cut=0.8)
        for key in ("carrot", "walnuts", "salt"):
            line = next((x for x in made.lines if x.ingredient == key), None)
            if line is not None and key != "carrot":
                self.assertEqual(line.after_g, line.before_g)

    def test_nothing_to_solve_is_nothing(self) -> None:
        self.assertEqual(solve([], Share(0.5)), [])


class Words(CloseTo):
    def test_more_or_less_in_the_tin_is_the_mass(self) -> None:
        made = plan(DESSERTS["butter cake"], path="less", cut=0.6)
        ratio = made.totals_after.mass_g / made.totals_before.mass_g
        told = next(t for t in made.advice if "in the tin or bowl" in t)
        self.assertTrue(told.startswith(f"{100 * abs(ratio - 1):.0f} % less"), (told, ratio))
        self.assertIn(f"{int(12 * ratio + 0.5)} slices of the old size instead of 12", told)

    def test_a_part_of_an_egg_is_weighed_and_no_whole_one(self) -> None:
        half = plan(
            "Cake\nMakes 8\n150 g plain flour\n120 g sugar\n90 g butter\n1 egg\n50 ml milk",
            path="less",
            cut=0.3,
            locks={3: 75.0},
        )
        self.assertTrue(any("of egg: beat one" in told for told in half.advice), half.advice)
        whole = plan(
            "Cake\nMakes 8\n150 g plain flour\n120 g sugar\n90 g butter\n1 egg\n20 g egg yolk", path="less", cut=0.3
        )
        self.assertFalse(any("of egg: beat one" in told for told in whole.advice), whole.advice)

    def test_the_soft_ball_rises_with_smaller_sugars(self) -> None:
        """Raoult's law: the rise of the boiling point goes by moles; glucose has nearly twice as many in a gram as sucrose."""
        text = "Caramels\nMakes 30\n300 g white sugar\n200 ml double cream\n60 g butter\nBoil to 118 °C."
        made = plan(text, path="zero", cut=0.4, cupboard=("allulose",))
        before, after = (measure(f.lines) for f in (made.before, made.after))
        moles = after["freezing"] / after["bulk"] / (before["freezing"] / before["bulk"])
        told = next(t for t in made.advice if "soft ball" in t)
        self.assertGreater(moles, 1)
        self.assertIn(f"about {100 + 15 * moles:.0f} °C", told)

    def test_cautions_are_of_what_is_in(self) -> None:
        plain = cautions(batter(8, plain_flour=100, white_sugar=60, butter=50), set())
        self.assertFalse(any("infants" in told for told in plain))
        sweet = cautions(batter(8, plain_flour=100, honey=60, butter=50), {"honey"})
        self.assertTrue(any("infants" in told for told in sweet))

    def test_half_tablespoons_are_told_as_they_weigh(self) -> None:
        us = cup_standard("us")
        honey = PANTRY["honey"]
        spoons = honey.spoons(us)
        assert spoons is not None
        for halves in range(2, 15):
            text, weight = household_amount(honey, halves / 2 * spoons.tablespoon_g, us)
            self.assertClose(weight, halves / 2 * spoons.tablespoon_g, rel=0.011, msg=text)

    def test_one_pattern_leaves_more_room_than_three(self) -> None:
        """Of one formula less is known: its norm reaches 1.6 times as far to both sides as where there are three or more."""
        per_family = Counter(p.family for p in patterns())
        room = constant("norm_room")
        for key, count in per_family.items():
            held = [absolutes(measure(p.lines))["sugars"] for p in patterns() if p.family == key]
            norm = norms(key)["sugars"]
            wide = max(room * (1.0 if count > 2 else 1.6) * sum(held) / count, norm.measure.room)
            self.assertClose(norm.high, max(held) + wide, absolute=1e-6, msg=key)

    def test_a_lock_that_is_no_amount_names_the_line_as_bakers_count(self) -> None:
        with self.assertRaisesRegex(OutOfDomainError, r"^line 1: -5"):
            rework(formula_of(CAKE), Goals(locks={0: -5.0}), PANTRY)


class Edges(CloseTo):
    """Where a limit, a floor or a least amount begins to count, from both sides."""

    def test_a_cap_is_passed_beyond_half_a_per_cent(self) -> None:
        family = families()["butter_cake"]
        formula = batter(12, plain_flour=200, white_sugar=150, butter=100, egg=100, milk=450)
        problem = Problem(formula, family, Goals(), [Addition(PANTRY["honey"], "syrup", 5.0, None, 0.0)], {}, {})
        grams = [line.grams for line in formula.lines]
        for past, count in ((0.003, 0), (0.007, 1)):
            found = passed_caps(problem, [*grams, (family.caps["syrup"] + past) * 1000])
            self.assertEqual(len(found), count, past)
        self.assertClose(found[0].asked, family.caps["syrup"], absolute=1e-9)

    def test_a_floor_is_lost_two_hundredths_below_it(self) -> None:
        family = families()["meringue"]
        formula = batter(12, egg_white=100, white_sugar=200)
        problem = Problem(formula, family, Goals(), [], {}, {})
        for below, count in ((0.019, 0), (0.021, 1)):
            self.assertEqual(len(lost_floor(problem, [100, (family.crystal_floor - below) * 200])), count, below)

    def test_nuts_and_chips_that_are_asked_for_lie_in_the_crumb_whole(self) -> None:
        formula = batter(12, plain_flour=200, white_sugar=150, butter=100)
        for key, kind, set_g, is_whole in (
            ("walnuts", "adjust", 50.0, True), ("walnuts", "adjust", None, False), ("honey", "syrup", 50.0, False),
            ("dark_chocolate_70", "adjust", 40.0, True), ("milk", "adjust", 40.0, False),
        ):  # fmt: skip
            extra = Addition(PANTRY[key], kind, 1.0, None, 0.0, set_g=set_g)  # type: ignore[arg-type]
            row = Problem(formula, families()["butter_cake"], Goals(), [extra], {}, {}).rows[-1]
            self.assertEqual(row.line.is_inclusion, is_whole, (key, set_g))

    def test_the_smallest_mend_moves_least(self) -> None:
        """Too much baking powder is mended by baking powder, and too much milk by milk: the flour for it would be far more."""
        for formula, key in (
            (batter(12, plain_flour=200, white_sugar=150, butter=120, egg=100, milk=100, baking_powder=30), "baking_powder"),
            (batter(12, plain_flour=200, white_sugar=150, butter=120, egg=100, milk=420, baking_powder=9), "milk"),
            (batter(12, plain_flour=200, white_sugar=420, butter=120, egg=100, milk=100, baking_powder=9), "white_sugar"),
        ):  # fmt: skip
            found = check(formula, {"": "butter_cake"})[0]
            self.assertIn(key, [mend.ingredient for mend in found.mends], found.mends)
            mend = next(m for m in found.mends if m.ingredient == key)
            self.assertLess(mend.after_g, mend.before_g)

    def test_allulose_that_came_in_is_told_of_the_law(self) -> None:
        held = batter(8, plain_flour=100, allulose=60, honey=20, butter=50)
        self.assertTrue(any("llulose" in told for told in cautions(held, {"allulose"})))
        self.assertFalse(any("llulose" in told for told in cautions(held, {"honey"})))

    def test_steps_are_of_the_size_of_the_amount(self) -> None:
        made = plan(CAKE, path="less", cut=0.0)
        us = cup_standard("us")
        for line in made.lines:
            food = PANTRY[line.ingredient]
            if food.group != "egg" and line.after_g > 0:
                self.assertEqual(line.step_g, grid_of(food, line.after_g, us, is_weighed=False), line.name)

    def test_what_grows_never_shrinks_for_a_spoon(self) -> None:
        formula = batter(12, plain_flour=200, white_sugar=150, butter=100, egg=100, milk=100)
        problem = Problem(formula, families()["butter_cake"], Goals(), [], {}, {})

        def choices(exact: float) -> list[float]:
            return _choices(problem, exact, exact, 4, 15.0, (0.0, 200.0), lambda _, g: g, is_broken=False)

        # Of 100 g, steps of 15 g near 108 are 90, 105 and 120 (and what lies a step from it): 93 would be less milk.
        self.assertEqual([round(x) for x in choices(108.0)], [105, 120, 123])
        self.assertEqual([round(x) for x in choices(92.0)], [77, 90])

    def test_whom_it_concerns_is_told_of_what_is_in_and_not_of_what_went(self) -> None:
        gone = Formula("Cake", lines_of(plain_flour=100.0, walnuts=0.0, banana=50.0), 8)
        one = portion(total(gone.lines), 8)
        told = eater_cautions(["kidney"], gone, one, one)[0]
        self.assertIn("banana", told)
        self.assertNotIn("walnut", told)

    def test_the_largest_cut_is_found_to_two_hundredths(self) -> None:
        for most in (0.437, 0.08, 0.61):
            found = _largest_cut(Goals(cut=0.8), lambda goals, most=most: (goals.cut or 0.0) <= most)
            assert found is not None
            self.assertLessEqual(found, most)
            self.assertClose(found, most, absolute=0.02)
        self.assertIsNone(_largest_cut(Goals(cut=0.8), lambda _: False))


if __name__ == "__main__":
    unittest.main()
