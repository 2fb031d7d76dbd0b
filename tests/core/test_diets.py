"""What gives way for a diet, and who is at the table."""

from __future__ import annotations

import unittest

from bench.desserts import DESSERTS

from sun_crumb.core.balance import contribution
from sun_crumb.core.errors import UnknownChoiceError
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.store import excluded_tags
from sun_crumb.core.reference import table
from sun_crumb.core.rework import Plan, preview, rework
from sun_crumb.core.wish import Goals, eaters, paths
from tests.support import CloseTo, formula_of, most_of
from tests.support.plans import LOAF, grams_of, plan

PANTRY = shipped_pantry()


class StandIns(CloseTo):
    """Common practice, no published source."""

    def test_each_takes_the_place_of_food_that_some_diet_rules_out_and_it_does_not(self) -> None:
        for row in table("stand_ins"):
            for key in row["foods"].split():
                ruled = [d["key"] for d in table("diets") if PANTRY[key].tags & excluded_tags((d["key"],))]
                with self.subTest(key):
                    self.assertTrue(ruled)
                    allowed = {
                        d for d in ruled for s in row["stand_ins"].split() if not PANTRY[s].tags & excluded_tags((d,))
                    }
                    self.assertTrue(allowed, "no diet gains by it")

    def test_a_loaf_for_everyone(self) -> None:
        diets = {
            "vegan": "animal",
            "nut_free": "treenut",
            "dairy_free": "milk",
            "gluten_free": "wheat",
            "eggless": "egg",
        }
        for diet, tag in diets.items():
            for path in paths():
                made = plan(LOAF, path=path, diets=(diet,))
                with self.subTest(diet, path=path):
                    held = {x.ingredient for x in made.lines if x.after_g > 0 and tag in PANTRY[x.ingredient].tags}
                    self.assertEqual(held, set())
                    self.assertNotIn("diet", {u.goal for u in made.unmet})
                    self.assertClose(sum(x.after_g for x in made.lines), made.totals_after.mass_g, absolute=0.2)
                    for line in made.lines:
                        if abs(line.after_g - line.before_g) > 0.01:
                            self.assertTrue(line.reason, line.ingredient)

    def test_what_stands_in_stands_where_it_belongs_and_may_be_adjusted(self) -> None:
        made = plan(LOAF, path="unrefined", diets=("dairy_free",), cupboard=("maple_syrup",))
        keys = [x.ingredient for x in made.lines]
        self.assertEqual(keys.index("margarine"), keys.index("butter") + 1)
        self.assertLess(grams_of(made, "soy_milk"), 0.95 * made.before.lines[5].grams)
        told = next(x.reason for x in made.lines if x.ingredient == "soy_milk")
        self.assertIn("in place of whole milk", told)
        self.assertIn("less, as", told)

    def test_the_baker_may_keep_what_a_diet_rules_out_and_is_told(self) -> None:
        made = plan(LOAF, path="less", diets=("vegan",), locks={4: 90.0})
        self.assertEqual((grams_of(made, "butter"), grams_of(made, "margarine")), (90, 0))
        self.assertIn("butter; you keep it", next(u.words for u in made.unmet if u.goal == "diet"))

    def test_more_eggs_than_flax_can_hold_are_told(self) -> None:
        made = plan(DESSERTS["butter cake"], path="less", diets=("vegan",))
        told = next(u.words for u in made.unmet if u.goal == "diet")
        self.assertIn("flax egg stands in for 150 g at most", told)

    def test_binding_fibre_counts_as_structure(self) -> None:
        """Judgement: a flax egg binds about as an egg does, psyllium at 3 % of the flour like its gluten (memory)."""
        egg, flax = (contribution(PANTRY[key])["structure"] for key in ("egg", "flax_egg"))
        self.assertClose(flax, egg, rel=0.25)
        self.assertClose(0.03 * contribution(PANTRY["psyllium_husk"])["structure"], 0.08, absolute=0.03)

    def test_the_preview_keeps_them(self) -> None:
        goals = Goals(path="blend", diets=("vegan",))
        made = rework(formula_of(LOAF), goals, PANTRY)
        support = [(x.component, x.ingredient, x.after_g) for x in made.lines if x.position is None]
        seen = preview(formula_of(LOAF), Goals(path="blend", diets=("vegan",), cut=0.4), PANTRY, support)
        held = {key for _, _, key, grams in seen.lines if grams > 0}
        self.assertLessEqual({"margarine", "soy_milk", "flax_egg"}, held)
        self.assertFalse({"butter", "milk", "egg"} & held)


class Table(CloseTo):
    """Who eats it: common practice and guidelines, from memory; every one of them is sent to whom they should ask."""

    def test_each_is_told_with_the_portions_own_figures_and_sent_to_ask(self) -> None:
        for key, eater in eaters().items():
            made = plan(LOAF, path="fruit", eaters=(key,))
            with self.subTest(key):
                self.assertRegex(made.cautions[0], "doctor|dietitian|midwife|clinic|sooner")
                self.assertNotIn("{", made.cautions[0])
                self.assertLessEqual(eater.foods, {i.key for i in PANTRY})
        told = plan(LOAF, path="fruit", eaters=("diabetes",))
        one = told.totals_after.carbohydrate_g / told.after.servings
        self.assertIn(f"{one:.0f} g of carbohydrate, ", told.cautions[0])
        zero = plan(LOAF, path="zero", eaters=("diabetes",))
        self.assertIn("of it sugar alcohols)", zero.cautions[0])

    def test_no_honey_for_an_infant_on_any_path(self) -> None:
        text = LOAF.replace("120 g light brown sugar", "60 g light brown sugar\n60 g honey")
        for path in paths():
            made = plan(text, path=path, eaters=("infant",))
            with self.subTest(path):
                self.assertEqual(grams_of(made, "honey"), 0)
                told = next(x.reason for x in made.lines if x.ingredient == "honey")
                self.assertEqual(told, "left out for “a child under one”")

    def test_a_sensitive_stomach_gets_less_of_what_it_minds(self) -> None:
        def polyols(made: Plan) -> float:
            held = sum(PANTRY[x.ingredient].per_100g.polyols_g * x.after_g / 100 for x in made.lines)
            return held / made.after.servings

        bold, mild = (plan(LOAF, path="zero", cut=1.0, eaters=e) for e in ((), ("sensitive",)))
        self.assertLess(polyols(mild), 0.6 * polyols(bold))
        self.assertLessEqual(polyols(mild), 0.3 * most_of("erythritol") + 0.2)

    def test_nobody_unknown_sits_at_the_table(self) -> None:
        with self.assertRaises(UnknownChoiceError):
            Goals(eaters=("moon",))


if __name__ == "__main__":
    unittest.main()
