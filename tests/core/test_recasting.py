"""Desserts on another base: what must hold of every one of them, and what is said where it can't be had."""

from __future__ import annotations

import unittest
from dataclasses import replace
from functools import cache

from bench.conventional import DESSERTS

from sun_crumb.core.balance import as_mixed, families, measure
from sun_crumb.core.balance.norms import absolutes, norms
from sun_crumb.core.balance.patterns import every_pattern
from sun_crumb.core.errors import OutOfDomainError, UnknownChoiceError
from sun_crumb.core.exploring.relaxing import relaxations
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.formula.totals import total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.recasting import offers, possible_bases, recast
from sun_crumb.core.recasting.groups import group_of
from sun_crumb.core.rework import Drag, Plan, rework
from sun_crumb.core.wish import Goals
from sun_crumb.services.bake_day import steps_of_plan
from sun_crumb.services.kitchen import read_formula

PATTERNS = {pattern.key: pattern for pattern in every_pattern()}
WISH = {"cut": 0.5, "keep_sweet": 0.9}
# How far outside a family's norms a recast may lie [norm widths]: the recipe's own richness goes with it (judgement).
NEAR = 0.35


@cache
def _formula(name: str) -> Formula:
    return read_formula(DESSERTS[name][0])[0]


@cache
def _plans() -> tuple[tuple[str, str, Formula, Plan], ...]:
    """The twenty desserts on their bases; a base that suits none of a dessert is refused, and is not among them."""
    found = []
    for name, (_, keys) in DESSERTS.items():
        for key in dict.fromkeys(keys):
            try:
                found.append(
                    (name, key, _formula(name), rework(_formula(name), Goals(base=key, **WISH), shipped_pantry()))
                )
            except OutOfDomainError:
                continue
    return tuple(found)


class OnAnotherBase(unittest.TestCase):
    def test_nearly_all_can_be_had_at_all(self) -> None:
        self.assertGreaterEqual(len(_plans()), 54)

    def test_the_norms_of_the_kind_that_it_becomes_are_held(self) -> None:
        for name, base, _, plan in _plans():
            for one in plan.recast:
                lines = [x for x in plan.after.lines if x.component == one.component]
                found = absolutes(measure(as_mixed(lines, families()[one.family])))
                own = norms(one.family, PATTERNS[one.pattern].base)
                for key, norm in norms(one.family).items():
                    if key in found and key != "alkali":
                        with self.subTest(name=name, base=base, measure=key):
                            out = min(abs(n.reach(found[key])) for n in (norm, own.get(key, norm)))
                            self.assertLessEqual(out, NEAR, (found[key], norm.low, norm.high))

    def test_what_a_base_does_without_is_not_in_it(self) -> None:
        for name, base, _, plan in _plans():
            keys = {x.component for x in plan.recast}
            lines = [x for x in plan.after.lines if x.component in keys and x.grams > 0]
            with self.subTest(name=name, base=base):
                if base == "gluten_free":
                    self.assertFalse([x.ingredient.key for x in lines if {"wheat", "gluten"} & x.ingredient.tags])
                if base == "egg_free":
                    self.assertFalse([x.ingredient.key for x in lines if x.ingredient.group == "egg"])
                if base == "fruit":
                    self.assertLess(total(lines).free_sugars_who_g, 1.0)
                    self.assertFalse([x.ingredient.key for x in lines if x.ingredient.has_role("bulk", "intense")])

    def test_flavours_fruit_and_what_lies_in_it_whole_stay(self) -> None:
        for name, base, before, plan in _plans():
            here = {x.component for x in plan.recast}
            left = {(x.component, x.ingredient.key) for x in plan.after.lines if x.grams > 0}
            for line in before.lines:
                stays = line.is_inclusion or group_of(line.ingredient) in ("flavour", "fruit")
                if line.component in here and stays and not line.ingredient.has_role("chocolate"):
                    with self.subTest(name=name, base=base, line=line.ingredient.key):
                        self.assertIn((line.component, line.ingredient.key), left)

    def test_ground_nuts_stay_where_only_the_flour_gives_way(self) -> None:
        """An almond and orange loaf without wheat is one still."""
        text = (
            "Almond and orange loaf\nCuts into 10 slices\n175 g butter\n150 g caster sugar\n3 eggs\n140 g self-raising flour\n"
            "100 g ground almonds\n1 tsp baking powder\n75 ml orange juice\nBake at 180 C for 50 minutes."
        )
        formula, _, cup = read_formula(text)
        for base in ("gluten_free", "oat", "egg_free", "wholemeal"):
            plan = rework(formula, Goals(base=base, cut=0.5), shipped_pantry(), cup)
            after = {x.ingredient: x.after_g for x in plan.lines}
            with self.subTest(base):
                self.assertEqual((after["almond_flour"], after["self_raising_flour"]), (100, 0))

    def test_a_gluten_free_crust_makes_no_gluten_free_cheesecake(self) -> None:
        text = (
            "Cheesecake\nServes 12\nBase:\n200 g digestive biscuits\n90 g butter\nFilling:\n900 g cream cheese\n250 g caster sugar\n"
            "3 tbsp plain flour\n4 eggs\nCrush the biscuits, mix with the butter, press into the tin. Beat the filling and bake at 160 C for 45 minutes."
        )
        formula, _, cup = read_formula(text)
        plan = rework(formula, Goals(base="gluten_free", cut=0.5), shipped_pantry(), cup)
        self.assertIn("Filling: plain flour stays in it, so the whole is not gluten-free.", plan.advice)
        almonds = next(x for x in plan.lines if x.ingredient == "almond_flour")
        self.assertTrue(almonds.reason.startswith("ground almonds hold"), almonds.reason)

    def test_no_fruit_comes_in_that_neither_recipe_nor_base_has(self) -> None:
        for name, base, before, plan in _plans():
            if base in ("fruit", "vegetable", "dates", "beans"):
                continue
            had = any(group_of(x.ingredient) == "fruit" for x in before.lines)
            brought = [
                x.ingredient for x in plan.lines if x.position is None and group_of(shipped_pantry()[x.ingredient]) == "fruit"
                and not shipped_pantry()[x.ingredient].has_role("puree", "paste")
            ]  # fmt: skip
            with self.subTest(name=name, base=base):
                self.assertTrue(had or not brought, brought)

    def test_no_egg_comes_into_a_snap_or_a_shortbread(self) -> None:
        for name, base, _, plan in _plans():
            if name in ("ginger snaps", "shortbread"):
                with self.subTest(name=name, base=base):
                    self.assertFalse([x for x in plan.after.lines if x.ingredient.group == "egg" and x.grams > 0])

    def test_lines_are_told_against_the_original(self) -> None:
        for name, base, before, plan in _plans():
            with self.subTest(name=name, base=base):
                places = sorted(x.position for x in plan.lines if x.position is not None)
                self.assertEqual(places, list(range(len(before.lines))))
                for line in plan.lines:
                    was = 0.0 if line.position is None else before.lines[line.position].grams
                    self.assertAlmostEqual(line.before_g, was)
                    if abs(line.after_g - was) > 0.01:
                        self.assertTrue(line.reason, line.name)
                kept = sum(x.after_g for x in plan.lines)
                self.assertAlmostEqual(kept, sum(x.grams for x in plan.after.lines), delta=0.1)
                self.assertTrue(plan.words.startswith("Made ") or ": made " in plan.words, plan.words)

    def test_the_batch_stays_the_size_of_its_tin(self) -> None:
        for name, base, before, plan in _plans():
            with self.subTest(name=name, base=base):
                self.assertLess(abs(plan.totals_after.mass_g / total(before.lines).mass_g - 1), 0.25)

    def test_a_reason_from_water_says_what_the_foods_hold(self) -> None:
        for _, _, before, plan in _plans():
            old = sum(
                x.grams * x.ingredient.per_100g.water_holding_g_per_g
                for x in before.lines
                if x.component == plan.recast[0].component and not x.is_inclusion
            )
            for line in plan.lines:
                if "dry parts take up" in line.reason and len(before.components) == 1:
                    told = float(line.reason.split("before ")[1].split(" g")[0])
                    self.assertAlmostEqual(told, old, delta=0.06 * old + 1)


class ToItself(unittest.TestCase):
    def test_a_pattern_made_as_itself_changes_nothing(self) -> None:
        for pattern in every_pattern():
            if pattern.key == "ice_cream_banana":
                continue  # "fruit alone" takes its honey out: that is what it is for
            with self.subTest(pattern=pattern.key):
                lines = tuple(replace(x, grams=3 * x.grams, text=f"{3 * x.grams:g} g of it") for x in pattern.lines)
                formula = Formula(pattern.name, lines, 8)
                wish = Goals(recasts={"": pattern.key}, families={"": pattern.family}, cut=0.0, keep_sweet=1.0)
                plan = rework(formula, wish, shipped_pantry())
                moved = [(x.name, x.before_g, x.after_g) for x in plan.lines if abs(x.before_g - x.after_g) > 1e-6]
                self.assertFalse(moved)

    def test_there_and_back_stays_within_a_band(self) -> None:
        for name, there, back in (
            ("vanilla cake", "butter_cake_gf", "butter_cake_wheat"),
            ("vanilla cake", "cake_buckwheat", "butter_cake_wheat"),
            ("vanilla cake", "butter_cake_wholemeal", "butter_cake_wheat"),
            ("blueberry muffins", "muffin_gf", "muffin_wheat"),
            ("shortbread", "shortbread_gf", "shortbread_classic"),
            ("brownies", "brownie_oat", "brownie_wheat"),
            ("cocoa brownies", "brownie_gf", "brownie_cocoa"),
            ("chocolate chip cookies", "cookie_gf", "cookie_chip"),
        ):
            with self.subTest(name=name, there=there):
                first = _formula(name)
                wish = Goals(cut=0.0, keep_sweet=1.0)
                away = rework(first, replace(wish, recasts={"": there}), shipped_pantry()).after
                home = rework(away, replace(wish, recasts={"": back}), shipped_pantry()).after
                family = families()[PATTERNS[back].family]
                one, two = (absolutes(measure(as_mixed(f.lines, family))) for f in (first, home))
                for key in ("water", "fat", "sugars", "structure"):
                    self.assertAlmostEqual(two[key] / one[key], 1.0, delta=0.15, msg=(key, one[key], two[key]))


class Refused(unittest.TestCase):
    def _refused(self, name: str, field: str, **wish: object) -> str:
        with self.assertRaises(OutOfDomainError) as raised:
            rework(_formula(name), Goals(**WISH, **wish), shipped_pantry())  # type: ignore[arg-type]
        self.assertEqual(raised.exception.field, field)
        return str(raised.exception)

    def test_a_base_that_a_diet_rules_out_says_what_can_be_had(self) -> None:
        told = self._refused("vanilla cake", "base", base="almond", avoid=("treenut",))
        self.assertIn("almond flour, which is ruled out at this table", told)
        self.assertIn("it can be made on oats", told)
        self.assertNotIn("on almond flour,", told.split("it can be made")[1])

    def test_a_pattern_of_another_family_is_refused(self) -> None:
        told = self._refused("shortbread", "recasts", recasts={"": "fruit_loaf_banana"})
        self.assertIn("can't become a loaf sweetened by banana alone", told)

    def test_a_base_that_suits_nothing_here_is_refused(self) -> None:
        self.assertIn("nothing of this recipe", self._refused("toffee sauce", "base", base="oat"))

    def test_what_the_baker_holds_is_not_replaced_in_silence(self) -> None:
        flour = next(n for n, x in enumerate(_formula("vanilla cake").lines) if x.ingredient.key == "plain_flour")
        told = self._refused("vanilla cake", "locks", base="almond", locks={flour: 280.0})
        self.assertIn("plain flour is set by you", told)

    def test_unknown_names_are_refused(self) -> None:
        for wish in ({"base": "moon"}, {"recasts": {"": "moon"}}):
            with self.assertRaises(UnknownChoiceError):
                Goals(**wish)  # type: ignore[arg-type]
        with self.assertRaises(UnknownChoiceError):
            rework(_formula("vanilla cake"), Goals(recasts={"lid": "cake_oat"}), shipped_pantry())


class AroundIt(unittest.TestCase):
    def test_it_meets_the_wish_and_its_diet(self) -> None:
        plan = rework(_formula("vanilla cake"), Goals(base="egg_free", diets=("vegan",), **WISH), shipped_pantry())
        self.assertFalse([x for x in plan.after.lines if x.grams > 0 and {"milk", "egg"} & x.ingredient.tags])

    def test_a_locked_amount_stays(self) -> None:
        formula = _formula("vanilla cake")
        egg = next(n for n, x in enumerate(formula.lines) if x.ingredient.key == "egg")
        plan = rework(formula, Goals(base="almond", locks={egg: 300.0}, **WISH), shipped_pantry())
        self.assertEqual(next(x.after_g for x in plan.lines if x.position == egg), 300.0)

    def test_an_amount_set_of_what_the_base_brings_stays(self) -> None:
        wish = Goals(base="almond", amounts=(("", "almond_flour", 300.0),), **WISH)
        plan = rework(_formula("vanilla cake"), wish, shipped_pantry())
        self.assertEqual(next(x.after_g for x in plan.lines if x.ingredient == "almond_flour"), 300.0)

    def test_a_slider_follows_it(self) -> None:
        formula, wish = _formula("vanilla cake"), Goals(base="almond", **WISH)
        plan = rework(formula, wish, shipped_pantry())
        support = [(x.component, x.ingredient, x.after_g) for x in plan.lines if x.position is None]
        shown = Drag(formula, wish, shipped_pantry(), support).at(wish)
        by_plan = {(x.position, x.ingredient): x.after_g for x in plan.lines}
        self.assertEqual({(n, key) for n, _, key, _ in shown.lines} - set(by_plan), set())
        for n, _, key, grams in shown.lines:
            self.assertAlmostEqual(grams, by_plan[n, key], delta=max(0.12 * by_plan[n, key], 26))

    def test_it_is_offered_where_a_wish_is_out_of_reach(self) -> None:
        formula = _formula("brownies")
        found = [
            x
            for x in relaxations(formula, Goals(path="fruit", cut=0.7, keep_sweet=0.9), shipped_pantry())
            if x.goal == "base"
        ]
        for one in found:
            plan = rework(
                formula, Goals(path="fruit", cut=0.7, keep_sweet=0.9, base=one.changes["base"]), shipped_pantry()
            )
            self.assertEqual(plan.status, "balanced")
        wheat_free = Goals(cut=0.5, diets=("gluten_free",))
        plain = rework(_formula("ginger snaps"), wheat_free, shipped_pantry())
        if any(u.goal == "diet" for u in plain.unmet):
            self.assertTrue(relaxations(_formula("ginger snaps"), wheat_free, shipped_pantry()))

    def test_only_bases_that_can_be_had_are_offered(self) -> None:
        for name in DESSERTS:
            for base in possible_bases(_formula(name), Goals(diets=("vegan",))):
                with self.subTest(name=name, base=base.key):
                    wish = Goals(base=base.key, diets=("vegan",))
                    self.assertIsNotNone(recast(_formula(name), wish, cup_standard("us")))

    def test_a_component_can_be_made_on_what_is_offered_for_it_alone(self) -> None:
        tried = 0
        for name in DESSERTS:
            formula = _formula(name)
            if len(formula.components) == 1:
                continue
            for offer in offers(formula, Goals(diets=("vegetarian",))):
                for component, pattern in offer.parts.items():
                    with self.subTest(name=name, component=component, pattern=pattern):
                        found = recast(
                            formula, Goals(recasts={component: pattern}, diets=("vegetarian",)), cup_standard("us")
                        )
                        self.assertEqual([x.component for x in found.told], [component])
                        rest = [x for x in formula.lines if x.component != component]
                        self.assertEqual([x for x in found.formula.lines if x.component != component], rest)
                        tried += 1
        self.assertGreater(tried, 10)

    def test_what_is_ruled_out_for_one_component_is_offered_for_the_other(self) -> None:
        # The cake on coconut holds almonds, its icing does not.
        formula = _formula("cupcakes with buttercream")
        (coconut,) = (o for o in offers(formula, Goals(avoid=("treenut",))) if o.key == "coconut")
        self.assertEqual(list(coconut.parts), ["buttercream"])
        self.assertFalse(coconut.is_whole)
        self.assertNotIn("coconut", [b.key for b in possible_bases(formula, Goals(avoid=("treenut",)))])

    def test_nothing_to_cut_is_no_hindrance(self) -> None:
        pantry = shipped_pantry()
        lines = tuple(
            FormulaLine(pantry[k], g) for k, g in (("plain_flour", 250.0), ("butter", 155.0), ("water", 65.0))
        )
        plan = rework(Formula("Flaky pie crust", lines, 8), Goals(base="gluten_free"), pantry)
        self.assertIn("gluten_free_blend", {x.ingredient.key for x in plan.after.lines})


class ItsMethod(unittest.TestCase):
    def _steps(self, name: str, base: str) -> str:
        formula, reading, cup = read_formula(DESSERTS[name][0])
        formula = replace(formula, oven=reading.oven, bake_minutes=reading.bake_minutes)
        plan = rework(formula, Goals(base=base, **WISH), shipped_pantry(), cup)
        from sun_crumb.core.reading import method_of

        told = steps_of_plan(formula, method_of(reading).steps, plan, cup)
        return "\n".join(f"{s.text} {' '.join(s.notes)}" for s in told.steps)

    def test_what_is_gone_is_mentioned_nowhere_and_what_comes_in_is(self) -> None:
        for name, base, _, plan in _plans():
            told = self._steps(name, base).lower()
            for line in plan.lines:
                if line.after_g == 0 and line.before_g > 0 and line.ingredient in ("plain_flour", "white_sugar", "egg"):
                    word = {
                        "plain_flour": r"\bplain flour|\bthe flour\b",
                        "white_sugar": "white sugar",
                        "egg": r"\beggs\b",
                    }
                    with self.subTest(name=name, base=base, gone=line.name):
                        self.assertNotRegex(told, word[line.ingredient])

    def test_the_oven_and_the_time_are_the_bases(self) -> None:
        told = self._steps("carrot cake", "almond")
        self.assertIn("160 C", told)
        self.assertRegex(told, r"for 5\d to \d\d minutes|for 55 minutes|for 60 to")
        self.assertIn("spread it into a lined tin", told)

    def test_a_base_that_is_not_poured_is_pressed(self) -> None:
        self.assertIn("pour it on", self._steps("cheesecake", "dates"))  # the filling still pours
        self.assertIn("press it firmly", self._steps("cheesecake", "dates"))


if __name__ == "__main__":
    unittest.main()
