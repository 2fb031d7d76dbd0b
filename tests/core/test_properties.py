"""Laws that hold for any input: round trips, additivity, monotony."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import assume, given, settings
from hypothesis import strategies as st

from sun_crumb.core.balance import measure
from sun_crumb.core.formula import Formula, FormulaLine, PortionKind, portion_totals, total
from sun_crumb.core.formula.totals import TOTAL_FIELDS
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.quantities.household import fraction_text
from sun_crumb.core.quantities.measures import cup_standard, cup_standards, volume_ml
from sun_crumb.core.quantities.numbers import read_quantity
from sun_crumb.core.sugars.savings import savings
from sun_crumb.core.sugars.sweetness import grams_as_sweet, intense_equivalent, intense_response
from tests.support import read_line

KEYS = sorted(i.key for i in shipped_pantry())
LINEAR = [k for k in KEYS if not shipped_pantry()[k].per_100g.glycosides_g]
lines = st.lists(st.tuples(st.sampled_from(LINEAR), st.floats(0.1, 2000)), min_size=1, max_size=8)


def formula(parts: list[tuple[str, float]], servings: int = 8) -> Formula:
    """Return a formula of (pantry key, grams); every second line is a topping."""
    return Formula(
        "x",
        tuple(FormulaLine(shipped_pantry()[k], g, "topping" if n % 2 else "base") for n, (k, g) in enumerate(parts)),
        servings,
    )


class Quantities(unittest.TestCase):
    @given(st.integers(0, 40), st.sampled_from([0, 1 / 8, 1 / 4, 1 / 3, 3 / 8, 1 / 2, 5 / 8, 2 / 3, 3 / 4, 7 / 8]))
    def test_kitchen_fractions_are_read_back(self, whole: int, part: float) -> None:
        assume(whole + part > 0)
        span = read_quantity(fraction_text(whole + part))
        assert span is not None
        self.assertAlmostEqual(span.low, whole + part, places=6)

    @given(st.floats(0.01, 5000, allow_nan=False), st.sampled_from(["g", "kg", "oz", "lb"]))
    def test_a_weight_is_the_same_food_by_any_spelling(self, amount: float, unit: str) -> None:
        value = round(amount, 2)
        assume(0 < value * {"g": 1, "kg": 1000, "oz": 28.35, "lb": 453.6}[unit] < 40_000)
        one, two = read_line(f"{value} {unit} honey"), read_line(f"honey, {value}{unit}")
        assert one.grams is not None and two.grams is not None
        self.assertAlmostEqual(one.grams, two.grams, places=1)

    @given(st.floats(0.1, 20), st.sampled_from(sorted(cup_standards())))
    def test_sixteen_or_so_spoons_make_a_cup(self, cups: float, key: str) -> None:
        standard = cup_standard(key)
        spoons = standard.cup_ml / standard.tablespoon_ml
        self.assertTrue(12 <= spoons <= 17)
        self.assertAlmostEqual(volume_ml(cups, "cup", standard), volume_ml(cups * spoons, "tbsp", standard), places=6)


class Totals(unittest.TestCase):
    @settings(max_examples=60, deadline=None)
    @given(lines, st.floats(0.1, 10))
    def test_totals_scale(self, parts: list[tuple[str, float]], factor: float) -> None:
        one, two = total(formula(parts).lines), total(formula([(k, g * factor) for k, g in parts]).lines)
        for name in TOTAL_FIELDS:
            self.assertAlmostEqual(
                getattr(two, name), factor * getattr(one, name), delta=1e-6 + 1e-9 * getattr(two, name)
            )

    @settings(max_examples=60, deadline=None)
    @given(lines)
    def test_definitions_nest_in_any_recipe(self, parts: list[tuple[str, float]]) -> None:
        whole = total(formula(parts).lines)
        self.assertLessEqual(whole.refined_sugar_g, whole.added_sugars_us_g + 1e-9)
        self.assertLessEqual(whole.added_sugars_us_g, whole.free_sugars_who_g + 1e-9)
        self.assertLessEqual(whole.free_sugars_who_g, whole.free_sugars_uk_g + 1e-9)
        self.assertLessEqual(whole.free_sugars_uk_g, whole.total_sugars_g + 1e-9)
        self.assertLessEqual(whole.water_g, whole.mass_g + 1e-6)

    @settings(max_examples=60, deadline=None)
    @given(lines, st.integers(2, 30), st.data())
    def test_portions_of_any_kinds_use_up_the_whole(
        self, parts: list[tuple[str, float]], servings: int, data: st.DataObject
    ) -> None:
        whole = formula(parts, servings)
        first = data.draw(st.integers(1, servings - 1))
        kinds = [PortionKind("a", first, ("base",)), PortionKind("b", servings - first, whole.components)]
        held = portion_totals(whole, kinds)
        for name in ("mass_g", "energy_kcal", "free_sugars_who_g"):
            eaten = sum(kind.count * getattr(held[kind.name], name) for kind in kinds)
            self.assertAlmostEqual(eaten, getattr(total(whole.lines), name), delta=1e-6 + 1e-9 * eaten)

    @settings(max_examples=60, deadline=None)
    @given(lines, lines, st.integers(1, 40))
    def test_savings_turn_round(
        self, one: list[tuple[str, float]], two: list[tuple[str, float]], servings: int
    ) -> None:
        before, after = total(formula(one).lines), total(formula(two).lines)
        there, back = savings(before, after, servings), savings(after, before, servings)
        self.assertAlmostEqual(there.energy_kcal / there.portion_g, -back.energy_kcal / back.portion_g, places=6)

    @settings(max_examples=40, deadline=None)
    @given(lines)
    def test_balance_quantities_do_not_depend_on_order(self, parts: list[tuple[str, float]]) -> None:
        whole = formula(parts)
        turned = replace(whole, lines=whole.lines[::-1])
        for name, value in measure(whole.lines).items():
            self.assertAlmostEqual(measure(turned.lines)[name], value, delta=1e-6 + 1e-9 * abs(value))


class Sweetness(unittest.TestCase):
    @given(st.floats(0, 1e5), st.floats(0, 1e5))
    def test_more_is_sweeter_but_ever_less_so(self, one: float, two: float) -> None:
        low, high = sorted((one, two))
        self.assertLessEqual(intense_response(low), intense_response(high))
        self.assertLess(intense_response(high), 10)
        middle = intense_response((low + high) / 2)
        self.assertGreaterEqual(middle + 1e-9, (intense_response(low) + intense_response(high)) / 2)

    @given(st.floats(0.01, 5), st.floats(200, 3000))
    def test_a_bigger_batch_with_as_much_stevia_each_tastes_the_same(self, grams: float, batter: float) -> None:
        self.assertAlmostEqual(
            2 * intense_equivalent(grams, batter), intense_equivalent(2 * grams, 2 * batter), delta=1e-6 * batter
        )

    @settings(max_examples=60, deadline=None)
    @given(
        st.sampled_from(["honey", "white_sugar", "stevia_erythritol", "stevia_extract", "erythritol", "coconut_sugar"]),
        st.floats(5, 150),
    )
    def test_sweeter_asked_is_more_taken(self, key: str, sugar: float) -> None:
        c = shipped_pantry()[key].per_100g
        less, more = grams_as_sweet(c, sugar, 850), grams_as_sweet(c, sugar * 1.2, 850)
        assert less is not None and more is not None
        self.assertLess(less, more)
