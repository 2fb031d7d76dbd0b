"""The baker's will in grams: eggs and tins whole, amounts set of what comes in, caps, counts; any wish has its plan."""

from __future__ import annotations

import itertools
import unittest

from bench.desserts import DESSERTS
from bench.golden import is_honest
from hypothesis import given, settings
from hypothesis import strategies as st

from sun_crumb.core.balance import families
from sun_crumb.core.errors import NothingToReworkError, OutOfDomainError, UnknownChoiceError
from sun_crumb.core.exploring import relaxations
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.offers.moves import is_packed, move_of
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import table
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.rework.parts import parts_of
from sun_crumb.core.solving.together import Share, _together, solve
from sun_crumb.core.wish import Goals, eaters, paths
from tests.support import CAKE, CloseTo, formula_of, most_of
from tests.support.plans import LOAF, grams_of, plan

PANTRY = shipped_pantry()
SWEET = ("syrup", "paste", "puree", "intense")


def share_of(made: Plan, kind: str) -> float:
    new = sum(x.after_g for x in made.lines if x.position is None and PANTRY[x.ingredient].has_role(kind))
    return new / made.totals_before.mass_g


class WholeThings(CloseTo):
    """Common practice, no published source."""

    def test_eggs_go_by_halves_where_a_batter_allows_a_third_or_one_at_most_and_none_comes(self) -> None:
        four, three, two, one = (FormulaLine(PANTRY["egg"], 50.0 * many) for many in (4, 3, 2, 1))
        for key, line, fewest, most, step in (
            ("butter_cake", two, 75, 100, 25),
            ("butter_cake", four, 150, 200, 25),
            ("foam_cake", three, 100, 150, 50),
        ):
            with self.subTest(key, grams=line.grams):
                move = move_of(line, "free_sugars_who_g", families()[key])
                assert move is not None
                self.assertClose(move.low * line.grams, fewest, absolute=1e-6)
                self.assertClose(move.high * line.grams, most, absolute=1e-6)
                self.assertEqual(move.step_g, step)
        # Nobody beats an egg to leave half of it.
        self.assertIsNone(move_of(one, "free_sugars_who_g", families()["butter_cake"]))
        self.assertIsNone(move_of(two, "free_sugars_who_g", families()["meringue"]))
        # A sponge of two eggs is no sponge with one.
        self.assertIsNone(move_of(two, "free_sugars_who_g", families()["foam_cake"]))

    def test_plans_hold_eggs_that_can_be_counted(self) -> None:
        for (name, text), path in itertools.product(DESSERTS.items(), ("fruit", "unrefined")):
            for cut in (0.5, 1.0):
                made = plan(text, path=path, cut=cut, definition="free_sugars_who_g")
                for line in made.lines:
                    if line.ingredient == "egg":
                        with self.subTest(name, path=path, cut=cut):
                            self.assertClose((line.after_g / 25) % 1, 0, absolute=1e-6)
                            self.assertLessEqual(abs(line.after_g - line.before_g), 50.001)

    def test_an_egg_gives_way_where_nothing_else_is_wet_and_stays_when_told_to(self) -> None:
        text = "Ginger cookies\nMakes 40\n300 g butter\n360 g sugar\n2 eggs\n520 g flour\n2 tsp baking soda"
        goals = {
            "path": "unrefined",
            "cut": 0.5,
            "keep_sweet": 0.8,
            "cupboard": ("maple_syrup",),
            "families": {"": "cookie"},
        }
        free = plan(text, **goals)
        self.assertEqual((free.status, grams_of(free, "egg")), ("balanced", 75))
        self.assertIn("g of water; water would be", next(x.reason for x in free.lines if x.ingredient == "egg"))
        kept = plan(text, locks={2: 100.0}, **goals)
        self.assertEqual(grams_of(kept, "egg"), 100)

    def test_tins_stay_whole(self) -> None:
        for text, packed in (
            ("1 tin (400 ml) coconut milk", True),
            ("2 cans pumpkin purée", True),
            ("1 x 400g can of pumpkin", True),
            ("one 14 oz can coconut milk", True),
            ("½ tin pumpkin", False),
            ("400 g tinned pumpkin", False),
            ("1½ cans coconut milk", False),
            ("240 ml milk", False),
        ):
            with self.subTest(text):
                self.assertEqual(is_packed(text), packed)
        recipe = "Coconut cake\nServes 10\n200 g plain flour\n180 g sugar\n{}\n2 eggs\n80 g butter\n2 tsp baking powder"
        for path in paths():
            made = plan(recipe.format("1 tin (400 ml) coconut milk"), path=path, cut=0.6)
            milk = next(x for x in made.lines if x.ingredient == "coconut_milk_tinned")
            self.assertEqual(milk.after_g, milk.before_g, path)
        loose = plan(recipe.format("400 ml coconut milk"), path="unrefined", cut=1.0, cupboard=("maple_syrup",))
        self.assertNotEqual(grams_of(loose, "coconut_milk_tinned"), loose.before.lines[2].grams)


class Set(CloseTo):
    def test_an_amount_of_what_comes_in_is_kept_to_the_gram_on_every_path(self) -> None:
        for path, key, grams in (
            ("blend", "honey", 37.0),
            ("fruit", "date_paste", 91.0),
            ("zero", "erythritol", 23.0),
            ("less", "maple_syrup", 20.0),
            ("unrefined", "walnuts", 41.0),
        ):
            with self.subTest(path):
                made = plan(CAKE, path=path, amounts=(("", key, grams),))
                line = next(x for x in made.lines if x.ingredient == key)
                self.assertEqual(line.after_g, grams)
                self.assertTrue(line.reason.startswith("set by you"), line.reason)
                for rule in made.by_the_book:
                    self.assertEqual("this amount is yours" in rule.why, rule.ingredient == key)
                self.assertClose(sum(x.after_g for x in made.lines), made.totals_after.mass_g, absolute=0.2)

    @settings(max_examples=15, deadline=None)
    @given(st.floats(1, 400), st.sampled_from(["date_paste", "honey", "banana", "erythritol"]))
    def test_any_amount_has_its_plan_and_too_much_is_told(self, grams: float, key: str) -> None:
        made = plan(CAKE, path="blend", amounts=(("", key, grams),))
        self.assertClose(grams_of(made, key), grams, absolute=0.01)
        kind = {"date_paste": "paste", "honey": "syrup", "banana": "puree"}.get(key)
        cap = made.totals_before.mass_g * families()["butter_cake"].caps[kind] if kind else 0.0
        if kind and grams > 1.05 * cap:
            self.assertIn("caps", {u.goal for u in made.unmet})
            self.assertNotEqual(made.status, "balanced")

    def test_the_rest_is_solved_around_it(self) -> None:
        """More dates set, less sugar kept: the same cut and sweetness by other means."""
        few, many = (plan(CAKE, path="blend", cut=0.5, amounts=(("", "date_paste", g),)) for g in (20.0, 80.0))
        self.assertLess(
            sum(grams_of(many, k) for k in ("stevia_erythritol", "honey", "banana", "maple_syrup")),
            sum(grams_of(few, k) for k in ("stevia_erythritol", "honey", "banana", "maple_syrup")),
        )
        for made in (few, many):
            self.assertClose(made.totals_after.free_sugars_who_g, 0.5 * made.totals_before.free_sugars_who_g, rel=0.05)

    def test_nothing_of_it_keeps_it_out_of_that_component_only(self) -> None:
        text = DESSERTS["butter cake"] + "\nFor the frosting:\n200 g icing sugar\n100 g butter"
        goals = {"path": "unrefined", "cut": 1.0, "cupboard": ("maple_syrup",)}
        made = plan(text, amounts=(("frosting", "maple_syrup", 0.0),), **goals)
        where = {x.component for x in made.lines if x.ingredient == "maple_syrup" and x.after_g}
        self.assertTrue(where and "frosting" not in where, where)

    def test_bad_amounts_name_their_field(self) -> None:
        for goals, words in (
            ({"amounts": (("", "honey", -5.0),)}, "can't be set"),
            ({"amounts": (("", "honey", float("nan")),)}, "can't be set"),
            ({"amounts": (("", "honey", 5.0),), "without": ("honey",)}, "both left out and set"),
            ({"amounts": (("", "honey", 5.0), ("", "honey", 9.0))}, "is set twice"),
            ({"amounts": (("", "white_sugar", 5.0),)}, "is a line of the recipe"),
            ({"amounts": (("glaze", "honey", 5.0),)}, "no component 'glaze'"),
        ):
            with self.subTest(words), self.assertRaises(OutOfDomainError) as caught:
                plan(CAKE, **goals)
            self.assertIn(words, caught.exception.message)
            self.assertEqual(caught.exception.field, "amounts")

    def test_the_number_of_new_sweeteners_and_the_caps_are_the_bakers(self) -> None:
        for most in (0, 1, 2):
            made = plan(CAKE, path="blend", cut=0.5, most_new=most)
            new = [x for x in made.lines if x.position is None and PANTRY[x.ingredient].has_role(*SWEET)]
            self.assertLessEqual(len(new), most)
        for cap in (0.02, 0.05):
            made = plan(CAKE, path="fruit", cut=0.4, caps={"paste": cap, "puree": cap})
            self.assertLessEqual(share_of(made, "paste") + share_of(made, "puree"), 2 * cap + 0.005)
        wide = plan(CAKE, path="fruit", cut=0.8, caps={"paste": 0.4}, cupboard=("date_paste",))
        self.assertGreater(share_of(wide, "paste"), families()["butter_cake"].caps["paste"])
        self.assertIn("caps", {u.goal for u in wide.unmet})
        for bad, error in (
            ({"caps": {"sugar": 0.1}}, UnknownChoiceError),
            ({"caps": {"paste": 2.0}}, OutOfDomainError),
        ):
            with self.assertRaises(error):
                plan(CAKE, **bad)
        with self.assertRaises(OutOfDomainError):
            plan(CAKE, most_new=-1)

    def test_what_stands_in_the_way_is_named(self) -> None:
        goals = Goals(path="unrefined", cut=1.0, amounts=(("", "honey", 340.0),))
        found = {r.goal for r in relaxations(formula_of(CAKE), goals, PANTRY)}
        self.assertIn("amounts", found)
        goals = Goals(path="zero", cut=0.9, keep_sweet=1.0, most_new=0)
        self.assertIn("most_new", {r.goal for r in relaxations(formula_of(CAKE), goals, PANTRY)})

    def test_a_filler_that_few_have_is_offered_not_taken(self) -> None:
        """So much less sugar with nothing in its place leaves a cake without bulk; a fibre is a way, and a choice."""
        goals = Goals(path="less", cut=0.45)
        formula = formula_of(DESSERTS["butter cake"])
        fibres = {"inulin", "polydextrose"}
        self.assertFalse(fibres & {x.ingredient for x in rework(formula, goals, PANTRY).lines})
        offer = next(r for r in relaxations(formula, goals, PANTRY) if r.goal == "including")
        (filler,) = offer.changes["including"]
        self.assertIn(filler, fibres)
        made = rework(formula, Goals(path="less", cut=0.45, including=(filler,)), PANTRY)
        self.assertEqual(made.status, "balanced")
        per_portion = grams_of(made, filler) / made.after.servings
        self.assertTrue(1 < per_portion <= most_of(filler) + 0.5, per_portion)

    def test_where_no_single_change_helps_two_together_do(self) -> None:
        goals = Goals(path="less", cut=0.9, keep_sweet=1.0, locks={3: 10.0, 5: 40.0})
        found = relaxations(formula_of(CAKE), goals, PANTRY)
        self.assertTrue(found)
        for way in found:
            wish = Goals(**({"path": "less", "cut": 0.9, "keep_sweet": 1.0, "locks": goals.locks} | way.changes))
            self.assertEqual(rework(formula_of(CAKE), wish, PANTRY).status, "balanced", way)


def wishes() -> st.SearchStrategy[dict[str, object]]:
    """Return wishes of every kind, contradictory ones too."""
    sweeteners = sorted({i.key for i in PANTRY if any(path.allows(i) for path in paths().values())})
    return st.fixed_dictionaries(
        {"path": st.sampled_from(sorted(paths())), "cut": st.floats(0, 1)},
        optional={
            "keep_sweet": st.floats(0.3, 1.3),
            "diets": st.lists(st.sampled_from([d["key"] for d in table("diets")]), max_size=2).map(tuple),
            "cupboard": st.lists(st.sampled_from(sweeteners), max_size=4, unique=True).map(tuple),
            "amounts": st.tuples(
                st.just(""), st.sampled_from(sweeteners), st.sampled_from([0.0, 4.0, 60.0, 300.0])
            ).map(lambda amount: (amount,)),
            "eaters": st.lists(st.sampled_from(sorted(eaters())), max_size=2).map(tuple),
            "most_new": st.integers(0, 6),
            "caps": st.dictionaries(st.sampled_from(["puree", "paste", "syrup", "filler"]), st.floats(0, 0.6)),
            "flavours": st.lists(st.sampled_from([r["key"] for r in table("flavours")]), unique=True).map(tuple),
            "locks": st.dictionaries(st.integers(0, 4), st.sampled_from([0.0, 10.0, 120.0, 500.0]), max_size=2),
            "most_energy_kcal": st.floats(20, 500),
            "most_free_sugar_g": st.floats(0, 20),
        },
    )


class AnyWish(CloseTo):
    @settings(max_examples=40, deadline=None)
    @given(st.sampled_from(sorted(DESSERTS)), wishes())
    def test_has_a_plan_that_keeps_what_is_set_and_tells_what_is_off(self, name: str, wish: dict[str, object]) -> None:
        formula = formula_of(DESSERTS[name])
        goals = Goals(**wish)  # type: ignore[arg-type]
        try:
            made = rework(formula, goals, PANTRY)
        except (NothingToReworkError, OutOfDomainError) as refused:
            self.assertTrue(refused.message and refused.field)
            return
        self.assertTrue(is_honest(made), [u.goal for u in made.unmet])
        self.assertClose(sum(x.after_g for x in made.lines), made.totals_after.mass_g, absolute=0.5)
        for line in made.lines:
            self.assertTrue(line.reason or abs(line.after_g - line.before_g) < 0.01, line)
            if line.position in goals.locks:
                self.assertClose(line.after_g, goals.locks[line.position], absolute=0.01)
            is_set = any(line.ingredient == key for _, key, _ in goals.amounts)
            if line.position is None and line.after_g > 0 and not is_set:
                self.assertFalse(PANTRY[line.ingredient].tags & goals.excluded, line)
        for component, key, grams in goals.amounts:
            new = sum(
                x.after_g for x in made.lines if (x.position, x.component, x.ingredient) == (None, component, key)
            )
            self.assertClose(new, grams, absolute=0.01)


class Proof(CloseTo):
    def test_no_other_choice_of_sweeteners_is_cheaper(self) -> None:
        """Every set of sweeteners tried one by one, each as a linear program: the search found the cheapest."""
        for text, path in ((CAKE, "fruit"), (LOAF, "unrefined"), (DESSERTS["drop cookie"], "fruit")):
            part = next(p for p in parts_of(formula_of(text), Goals(path=path, cut=0.5), PANTRY) if p.problem)
            assert part.problem is not None
            problem = part.problem
            solved = solve([problem], Share(0.5))
            assert solved is not None and solved[0].is_proven

            tried = (_together([problem], Share(0.5), hard) for hard in (True, False))
            model, (build,) = next(pair for pair in tried if pair[0].solve() is not None)
            found = model.solve()
            assert found is not None
            whole = [k for k, integer in enumerate(model.is_integer) if integer]
            # Everything else that is whole stays as found; each set of sweeteners is tried.
            best = float("inf")
            for chosen in itertools.product((0.0, 1.0), repeat=len(build.choices)):
                fixed = dict(zip(build.choices, chosen, strict=True))
                others = {k: round(found.values[k]) for k in whole if k not in fixed}
                values = model.solve_relaxed({**others, **fixed})
                if values is not None:
                    best = min(best, sum(c * v for c, v in zip(model.cost, values, strict=True)))
            with self.subTest(path):
                self.assertLessEqual(found.objective, best + 0.041)
                self.assertGreaterEqual(found.objective, best - 1e-6)


if __name__ == "__main__":
    unittest.main()
