"""The engine: optimality on small models, properties of plans, honest answers."""

from __future__ import annotations

import itertools
import random
from dataclasses import replace

from bench.desserts import DESSERTS
from hypothesis import given, settings
from hypothesis import strategies as st

from sun_crumb.core.balance import families
from sun_crumb.core.errors import NothingToReworkError, OutOfDomainError, UnknownChoiceError
from sun_crumb.core.formula import Formula, total
from sun_crumb.core.offers.candidates import additions
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.store import excluded_tags
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.solving.rounding import rounded
from sun_crumb.core.solving.solver import LinearModel, WarmStart
from sun_crumb.core.solving.together import Share, solve
from sun_crumb.core.solving.true_penalty import TruePenalty
from sun_crumb.core.wish import Goals, paths
from tests.support import CAKE, CloseTo, batter, formula_of, most_of

MUFFINS = """Carrot muffins
Makes 12 muffins
250 g plain flour
150 g light brown sugar
2 large eggs
150 ml milk
100 ml neutral oil
1 cup grated carrots
2 tsp baking powder
1 tsp cinnamon
"""
CRUMBLE = """Plum crumble
Serves 8
For the filling:
10 plums, quartered
75 g caster sugar
1 tbsp cornflour
For the crumble:
150 g plain flour
60 g rolled oats
100 g butter
90 g light brown sugar
"""


def plan(text_or_formula: str | Formula, **goals: object) -> Plan:
    """Return the plan for a recipe."""
    formula = formula_of(text_or_formula) if isinstance(text_or_formula, str) else text_or_formula
    return rework(formula, Goals(**goals), shipped_pantry())  # type: ignore[arg-type]


def plan_or_none(formula: Formula, **goals: object) -> Plan | None:
    """Return the plan for a recipe, or None where the path finds nothing to cut."""
    try:
        return plan(formula, **goals)
    except NothingToReworkError:
        return None


dessert = st.sampled_from(sorted(DESSERTS))


class Solver(CloseTo):
    def test_small_integer_models_against_brute_force(self) -> None:
        generator = random.Random(5)
        for trial in range(12):
            costs = [generator.uniform(-5, 5) for _ in range(5)]
            rows = [[generator.randint(0, 4) for _ in range(5)] for _ in range(2)]
            model = LinearModel()
            xs = [model.add(0, 3, c, is_integer=True) for c in costs]
            for row in rows:
                model.require(dict(zip(xs, map(float, row), strict=True)), upper=9)
            solution = model.solve()
            assert solution is not None
            best = min(
                sum(c * v for c, v in zip(costs, values, strict=True))
                for values in itertools.product(range(4), repeat=5)
                if all(sum(r * v for r, v in zip(row, values, strict=True)) <= 9 for row in rows)
            )
            with self.subTest(trial):
                self.assertClose(solution.objective, best, absolute=0.041)

    def test_a_warm_start_costs_the_same_as_a_cold_one(self) -> None:
        """Also where the numbers have moved far, and where the shapes differ and the start is of no use."""
        generator = random.Random(11)

        def made(extra_row: bool = False) -> LinearModel:
            model = LinearModel()
            xs = [model.add(0, generator.uniform(2, 9), generator.uniform(-5, 5)) for _ in range(8)]
            for _ in range(4 + extra_row):
                model.require({x: generator.uniform(0, 3) for x in xs}, upper=generator.uniform(5, 20))
            return model

        def cost(model: LinearModel, values: list[float] | None) -> float:
            assert values is not None
            return sum(c * v for c, v in zip(model.cost, values, strict=True))

        start = WarmStart(made(), {0: 1.0})
        for trial in range(30):
            model = made(extra_row=trial % 5 == 4)
            with self.subTest(trial):
                self.assertEqual(model.shape == start.shape, trial % 5 != 4)
                warm, cold = model.solve_relaxed({0: 0.5}, start), model.solve_relaxed({0: 0.5})
                self.assertClose(cost(model, warm), cost(model, cold), absolute=1e-6)

    def test_no_solution_is_none_and_never_a_zero(self) -> None:
        model = LinearModel()
        x = model.add(0, 1)
        model.require({x: 1.0}, lower=2)
        self.assertIsNone(model.solve())

    def test_a_plan_beats_a_grid_of_others(self) -> None:
        """One sugar, one liquid, one addition: no amounts on a fine grid are cheaper by the true metrics."""
        formula = batter(plain_flour=200, white_sugar=150, butter=100, egg=100, milk=80, baking_powder=8)
        goals = Goals(path="fruit", cut=0.4, keep_sweet=0.85, cupboard=("date_paste",))
        family = families()["butter_cake"]
        extra = [a for a in additions(formula, family, goals, shipped_pantry()) if a.ingredient.key == "date_paste"]
        problem = Problem(formula, family, goals, extra, {}, {})
        solved = solve([problem], Share(goals.wanted_cut))
        assert solved is not None
        ours = TruePenalty(problem)(rounded(problem, solved[0].grams, cup_standard("us")))
        others = [
            TruePenalty(problem)([200.0, sugar, 100.0, 100.0, milk, 8.0, paste])
            for sugar in range(75, 106, 6)
            for milk in range(40, 121, 8)
            for paste in range(20, int(family.caps["paste"] * formula.mass_g), 8)
        ]
        # Touching a line costs too (at most 0.23 here), and amounts go by spoons.
        self.assertLessEqual(ours, min(others) + 0.45)


class Story(CloseTo):
    def test_half_the_refined_sugar_nearly_as_sweet_with_honey_and_dates(self) -> None:
        made = plan(
            CAKE, path="blend", cut=0.5, keep_sweet=0.9, cupboard=("honey", "date_paste"), definition="refined_sugar_g"
        )
        self.assertEqual(made.status, "balanced")
        new = {line.ingredient for line in made.lines if line.position is None}
        self.assertLessEqual({"honey", "date_paste"}, new)
        self.assertLessEqual(made.totals_after.refined_sugar_g, 0.5 * made.totals_before.refined_sugar_g + 0.1)
        sweet = next(v for v in made.balance[0].verdicts if v.key == "sweetness")
        self.assertClose(sweet.after / sweet.before, 0.9, rel=0.07)

    def test_every_change_has_a_reason_with_numbers_and_every_amount_a_household_measure(self) -> None:
        for path in paths():
            for line in plan(MUFFINS, path=path).lines:
                with self.subTest(path, line=line.ingredient):
                    self.assertTrue(line.household)
                    if abs(line.after_g - line.before_g) > 0.01:
                        self.assertTrue(any(c.isdigit() for c in line.reason) or "rounding" in line.reason, line.reason)
                    else:
                        self.assertEqual(line.reason, "")

    def test_unrefined_sugars_save_hardly_any_free_sugar_and_the_plan_says_so(self) -> None:
        made = plan(CAKE, path="unrefined", cupboard=("honey", "maple_syrup"))
        self.assertClose(made.totals_after.refined_sugar_g, 0, absolute=0.5)
        self.assertGreater(made.totals_after.free_sugars_who_g, 0.6 * made.totals_before.free_sugars_who_g)
        self.assertIn("are free sugars too", made.words)
        self.assertTrue(any("infants" in c for c in made.cautions))

    def test_by_the_book_honey(self) -> None:
        # Common practice: ¾ cup of honey for a cup of sugar.
        made = plan(CAKE, path="unrefined", cupboard=("honey",))
        rule = next(b for b in made.by_the_book if b.ingredient == "honey")
        self.assertClose(rule.rule_g, 0.75 * 339, rel=0.02)
        self.assertIn("¾ cup", rule.rule)

    def test_components_keep_their_own_balance(self) -> None:
        made = plan(CRUMBLE, path="blend")
        self.assertEqual([b.family for b in made.balance], ["fruit", "crumble"])
        self.assertEqual({line.component for line in made.lines}, {"filling", "crumble"})


class Properties(CloseTo):
    def test_same_input_same_plan(self) -> None:
        self.assertEqual(plan(CAKE).lines, plan(CAKE).lines)

    @settings(max_examples=25, deadline=None)
    @given(dessert, st.sampled_from(sorted(paths())), st.integers(2, 6), st.floats(0.1, 0.9))
    def test_scaling_a_recipe_scales_the_plan(self, name: str, path: str, times: int, cut: float) -> None:
        """But for least doses, whole pieces and half spoons (6 g of sugar), which a small batch feels more."""
        small = formula_of(DESSERTS[name])
        many = replace(
            small,
            lines=tuple(replace(x, grams=times * x.grams) for x in small.lines),
            servings=times * small.servings,
            own_yields=(),
        )
        one, all_of_them = plan_or_none(small, path=path, cut=cut), plan_or_none(many, path=path, cut=cut)
        self.assertEqual(one is None, all_of_them is None)
        if one is None or all_of_them is None:
            return
        counted = Goals(path=path).counted
        old = getattr(one.totals_before, counted)
        per_batch = getattr(all_of_them.totals_after, counted) / times
        self.assertClose(per_batch, getattr(one.totals_after, counted), absolute=0.02 * old + 7)
        if "unmet" not in (one.status, all_of_them.status):
            self.assertClose(all_of_them.totals_after.mass_g, times * one.totals_after.mass_g, rel=0.1)

    @settings(max_examples=25, deadline=None)
    @given(dessert, st.sampled_from(sorted(paths())), st.floats(0.1, 0.9), st.randoms(use_true_random=False))
    def test_the_order_of_lines_changes_nothing(self, name: str, path: str, cut: float, chance: random.Random) -> None:
        formula = formula_of(DESSERTS[name])
        lines = list(formula.lines)
        chance.shuffle(lines)
        one, two = (
            plan_or_none(formula, path=path, cut=cut),
            plan_or_none(replace(formula, lines=tuple(lines)), path=path, cut=cut),
        )

        def amounts(made: Plan | None) -> list[tuple[str, str, float]]:
            return sorted((x.component, x.ingredient, x.after_g) for x in made.lines) if made else []

        self.assertEqual(amounts(one), amounts(two))

    @settings(max_examples=25, deadline=None)
    @given(dessert, st.sampled_from(sorted(paths())), st.floats(0, 1), st.floats(0, 1))
    def test_more_cut_never_yields_more_free_sugar(self, name: str, path: str, one: float, two: float) -> None:
        """Rounding to half spoons may give back 1 % of the sugar that was there."""
        low, high = sorted((one, two))
        formula = formula_of(DESSERTS[name])
        left = []
        for cut in (low, high):
            made = plan_or_none(formula, path=path, cut=cut, definition="free_sugars_who_g")
            if made is None:
                return
            left.append(made.totals_after.free_sugars_who_g)
        self.assertLessEqual(left[1], left[0] + 0.02 * made.totals_before.free_sugars_who_g + 0.05)

    @settings(max_examples=25, deadline=None)
    @given(dessert, st.sampled_from(sorted(paths())), st.data())
    def test_a_locked_line_never_moves_and_grams_balance(self, name: str, path: str, data: st.DataObject) -> None:
        formula = formula_of(DESSERTS[name])
        position = data.draw(st.integers(0, len(formula.lines) - 1))
        grams = round(formula.lines[position].grams * data.draw(st.floats(0.5, 1.5)), 2)
        made = plan_or_none(formula, path=path, locks={position: grams})
        assert made is not None
        row = next(x for x in made.lines if x.position == position)
        self.assertClose(row.after_g, grams, absolute=0.011)
        self.assertTrue(row.is_locked)
        self.assertClose(sum(x.after_g for x in made.lines), made.totals_after.mass_g, absolute=0.3)

    def test_grams_balance(self) -> None:
        for path in paths():
            made = plan(MUFFINS, path=path)
            with self.subTest(path):
                self.assertClose(sum(x.after_g for x in made.lines), made.totals_after.mass_g, absolute=0.2)
                self.assertClose(sum(x.before_g for x in made.lines), made.totals_before.mass_g, absolute=0.2)

    @settings(max_examples=20, deadline=None)
    @given(st.sampled_from(sorted(paths())), st.floats(0.1, 0.9), st.floats(0.6, 1.0))
    def test_plans_keep_their_bounds(self, path: str, cut: float, keep: float) -> None:
        made = plan(MUFFINS, path=path, cut=cut, keep_sweet=keep)
        for line in made.lines:
            self.assertGreaterEqual(line.after_g, 0)
            if line.ingredient == "carrot" or (line.ingredient == "cinnamon" and path != "less"):
                self.assertEqual(line.after_g, line.before_g)
            if line.ingredient == "egg":
                self.assertIn(line.after_g - line.before_g, (-50, -25, 0, 25, 50))
            if line.ingredient == "neutral_oil":
                self.assertTrue(0.8 * line.before_g <= line.after_g <= 1.15 * line.before_g, line)
        # What is not called unmet is within two bands everywhere, and cuts what was asked.
        if made.status != "unmet":
            counted = Goals(path=path).counted
            left = getattr(made.totals_after, counted) / getattr(made.totals_before, counted)
            self.assertLessEqual(left, 1 - cut + 0.02)

    def test_diets_keep_out_what_they_rule_out(self) -> None:
        for diet in ("vegan", "dairy_free", "no_honey", "paleo"):
            for path in paths():
                made = plan(MUFFINS, path=path, diets=(diet,))
                for line in made.lines:
                    if line.position is None:
                        with self.subTest(diet, path=path, line=line.ingredient):
                            self.assertFalse(shipped_pantry()[line.ingredient].tags & excluded_tags((diet,)))

    def test_nothing_outside_the_cupboard_sweetens(self) -> None:
        made = plan(CAKE, path="blend", cupboard=("maple_syrup",))
        new = {x.ingredient for x in made.lines if x.position is None}
        self.assertLessEqual(new, {"maple_syrup", "milk_powder", "baking_soda"})


class HonestAnswers(CloseTo):
    def test_a_goal_out_of_reach_names_what_gave_way(self) -> None:
        made = plan(CAKE, path="fruit", cut=1.0, keep_sweet=1.0)
        self.assertEqual(made.status, "unmet")
        self.assertTrue({"cut", "sweetness"} & {u.goal for u in made.unmet})
        self.assertTrue(all(u.words for u in made.unmet))

    def test_sweetness_is_not_kept_by_shrinking_the_batch(self) -> None:
        for cut in (0.5, 0.7, 0.9):
            made = plan(CAKE, path="fruit", cut=cut)
            with self.subTest(cut):
                self.assertGreater(made.totals_after.mass_g, 0.85 * made.totals_before.mass_g)

    def test_caramel_and_meringue_keep_their_glass(self) -> None:
        for text in (
            "Soft caramels\n300 g sugar\n200 ml double cream\n50 g butter",
            "Meringues\n4 egg whites\n200 g caster sugar",
        ):
            made = plan(text, path="fruit", cut=0.8)
            with self.subTest(text.split("\n")[0]):
                self.assertEqual(made.status, "unmet")
                self.assertGreater(made.totals_after.refined_sugar_g, 0.7 * made.totals_before.refined_sugar_g)

    def test_cookies_keep_crystal(self) -> None:
        made = plan("Butter cookies\n200 g flour\n100 g sugar\n130 g butter\n1 egg", path="fruit", cut=0.9)
        self.assertGreaterEqual(made.totals_after.refined_sugar_g, 0.36 * made.totals_before.refined_sugar_g)

    def test_no_sugar_only_sugar_and_no_lines_each_have_their_answer(self) -> None:
        for text in ("Bread\n500 g flour\n300 ml water\n10 g salt", "Candy\n200 g sugar\n50 g honey"):
            with self.subTest(text), self.assertRaises(NothingToReworkError) as caught:
                plan(text)
            self.assertEqual(caught.exception.field, "lines")
        with self.assertRaises(NothingToReworkError):
            rework(Formula("", (), 4), Goals(), shipped_pantry())

    def test_bad_goals_name_their_field(self) -> None:
        cases = {
            "cut": {"cut": 1.5},
            "keep_sweet": {"keep_sweet": float("nan")},
            "path": {"path": "magic"},
            "diet": {"diets": ("air",)},
            "definition": {"definition": "sweetness"},
            "locks": {"locks": {0: -5.0}},
        }
        for field, goals in cases.items():
            with self.subTest(field), self.assertRaises((OutOfDomainError, UnknownChoiceError)) as caught:
                plan(CAKE, **goals)
            self.assertEqual(caught.exception.field, field)
        with self.assertRaises(OutOfDomainError):
            plan(CAKE, locks={99: 10.0})

    def test_two_sweeteners_of_a_kind_share_the_limit_of_a_sitting(self) -> None:
        """15 g of erythritol a portion, however many blends bring it (constants.csv, erythritol_serving)."""
        for cupboard in (("erythritol",), ("stevia_erythritol", "monk_fruit_erythritol", "erythritol")):
            made = plan(
                "Sponge\nServes 4\n4 eggs\n200 g sugar\n200 g flour\n150 g butter", path="zero", cupboard=cupboard
            )
            held = sum(x.ingredient.per_100g.erythritol_g * x.grams / 100 for x in made.after.lines)
            with self.subTest(cupboard):
                self.assertGreater(held, 20)
                # Rounding may add up to half a spoon of each.
                self.assertLessEqual(held / 4, most_of("erythritol") + 1.5 * len(cupboard))

    def test_many_polyols_are_cautioned(self) -> None:
        made = plan(
            "Pudding\nServes 2\n500 ml milk\n120 g sugar\n40 g cornflour",
            path="zero",
            cut=0.9,
            cupboard=("erythritol",),
        )
        grams = sum(x.after_g for x in made.lines if x.ingredient == "erythritol")
        self.assertEqual(
            any("of erythritol in a portion" in c for c in made.cautions), grams / 2 > most_of("erythritol")
        )
        self.assertTrue(total(made.after.lines).mass_g > 0)
