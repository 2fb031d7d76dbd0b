"""Own products from their labels, and portions of several kinds."""

from __future__ import annotations

from typing import Any

from sun_crumb.core.errors import OutOfDomainError, UnknownChoiceError
from sun_crumb.core.formula import PortionKind, portion_totals, total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.label import FromLabel, Label, contradictions, from_label
from sun_crumb.core.sugars.sweetness import glycosides_like_sugar, grams_as_sweet, sucrose_equivalent
from tests.support import CloseTo, formula_of


def made(like: str, **figures: Any) -> FromLabel:
    """Return what a label with these figures makes of something *like* a pantry entry."""
    return from_label("own", Label(name="Mine", **figures), shipped_pantry()[like], glycosides_like_sugar)


class Labels(CloseTo):
    def test_an_eu_label_gives_figures_per_100_g(self) -> None:
        found = made("yoghurt", energy_kcal=62, fat_g=3.2, carbohydrate_g=4.6, sugars_g=4.6, protein_g=3.5, salt_g=0.1)
        c = found.ingredient.per_100g
        self.assertEqual((c.energy_kcal, c.fat_g, c.total_sugars_g), (62, 3.2, 4.6))
        self.assertClose(c.lactose_g + c.galactose_g, 4.6, absolute=0.01)
        self.assertEqual(found.contradictions, ())
        self.assertIn("fibre_g", found.estimated)
        self.assertEqual(found.ingredient.source, "label")

    def test_a_us_label_gives_figures_per_serving_with_fibre_inside(self) -> None:
        found = made(
            "rolled_oats",
            law="us",
            basis_g=40,
            energy_kcal=150,
            fat_g=3,
            carbohydrate_g=27,
            fibre_g=4,
            sugars_g=1,
            protein_g=5,
        )
        c = found.ingredient.per_100g
        self.assertClose(c.carbohydrate_g, 67.5, absolute=0.01)
        self.assertClose(c.fibre_g, 10, absolute=0.01)
        # 100 - fat - carbohydrate - protein - ash is left for water.
        self.assertClose(c.water_g, 100 - 7.5 - 67.5 - 12.5 - c.ash_g, absolute=0.01)
        self.assertEqual(found.contradictions, ())

    def test_eu_carbohydrate_leaves_the_fibre_out(self) -> None:
        c = made("rolled_oats", carbohydrate_g=57, fibre_g=10).ingredient.per_100g
        self.assertEqual((c.carbohydrate_g, c.fibre_g), (67, 10))

    def test_kilojoules_stand_in_for_kilocalories(self) -> None:
        # 1 kcal = 4.184 kJ (thermochemical calorie, NIST SP 811 B.8).
        self.assertClose(made("honey", energy_kj=1272).ingredient.per_100g.energy_kcal, 304, absolute=0.5)

    def test_contradictions_are_pointed_out(self) -> None:
        cases: dict[str, dict[str, Any]] = {
            "more than the carbohydrate": {"carbohydrate_g": 10, "sugars_g": 12},
            "more than all sugars": {"carbohydrate_g": 20, "sugars_g": 5, "added_sugars_g": 8},
            "do not fit the parts": {"energy_kcal": 400, "fat_g": 1, "carbohydrate_g": 10, "protein_g": 2},
            "add up to": {"fat_g": 50, "carbohydrate_g": 50, "protein_g": 20},
            "kJ are": {"energy_kcal": 100, "energy_kj": 900},
            "polyols together": {"carbohydrate_g": 30, "sugars_g": 20, "polyols_g": 20},
        }
        for words, figures in cases.items():
            with self.subTest(words):
                self.assertTrue(any(words in line for line in contradictions(Label(name="x", **figures))))

    def test_honest_labels_have_none(self) -> None:
        # Every FoodData Central row of the pantry, written as an EU label, but for the energy exceptions of test_pantry.
        from tests.core.test_pantry import ENERGY_EXCEPTIONS

        excepted = set().union(*ENERGY_EXCEPTIONS.values())
        for ingredient in shipped_pantry():
            c = ingredient.per_100g
            if ingredient.source != "fdc" or ingredient.key in excepted or c.alcohol_g:
                continue
            label = Label(
                name=ingredient.name,
                energy_kcal=c.energy_kcal,
                fat_g=c.fat_g,
                carbohydrate_g=max(c.carbohydrate_g - c.fibre_g, c.total_sugars_g),
                sugars_g=c.total_sugars_g,
                fibre_g=c.fibre_g,
                protein_g=c.protein_g,
                polyols_g=c.polyols_g,
            )
            with self.subTest(ingredient.key):
                self.assertEqual(contradictions(label), [])

    def test_a_cup_like_a_cup_of_sugar(self) -> None:
        found = made(
            "erythritol",
            law="us",
            basis_g=4,
            carbohydrate_g=4,
            polyols_g=4,
            sugars_g=0,
            cup_g=180,
            is_cup_like_sugar=True,
        )
        mix = [(found.ingredient.per_100g, 180.0), (shipped_pantry()["water"].per_100g, 670.0)]
        self.assertClose(sucrose_equivalent(mix), 200, rel=0.01)
        with self.assertRaises(OutOfDomainError):
            made("stevia_erythritol", cup_g=0, is_cup_like_sugar=True, basis_g=0)

    def test_figures_that_cannot_be_are_refused_by_name(self) -> None:
        for field, figures in (
            ("fat_g", {"fat_g": -1}),
            ("sugars_g", {"sugars_g": 120}),
            ("energy_kcal", {"energy_kcal": float("nan")}),
            ("basis_g", {"basis_g": 0}),
        ):
            with self.subTest(field), self.assertRaises(OutOfDomainError) as caught:
                made("honey", **figures)
            self.assertEqual(caught.exception.field, field)
        with self.assertRaises(UnknownChoiceError):
            made("honey", law="mars")

    def test_equal_sweetness(self) -> None:
        for key in ("honey", "maple_syrup", "stevia_extract", "stevia_erythritol", "erythritol", "date_paste"):
            c = shipped_pantry()[key].per_100g
            grams = grams_as_sweet(c, 100, 850)
            assert grams is not None
            with self.subTest(key):
                mix = [(c, grams), (shipped_pantry()["water"].per_100g, 850 - grams)]
                self.assertClose(sucrose_equivalent(mix), 100, rel=0.001)
        self.assertIsNone(grams_as_sweet(shipped_pantry()["applesauce"].per_100g, 200, 850))


class Portions(CloseTo):
    TEXT = "Loaf\nMakes 16 slices\nFor the loaf:\n400 g flour\n200 g sugar\n200 g butter\nFor the frosting:\n100 g icing sugar\nFor the dusting:\n16 g icing sugar"

    def test_plain_dusted_and_frosted_share_what_they_get(self) -> None:
        formula = formula_of(self.TEXT)
        kinds = [
            PortionKind("plain", 4, ("loaf",)),
            PortionKind("dusted", 8, ("loaf", "dusting")),
            PortionKind("frosted", 4, ("loaf", "frosting")),
        ]
        held = portion_totals(formula, kinds)
        self.assertClose(held["plain"].mass_g, 800 / 16, absolute=1e-6)
        self.assertClose(held["dusted"].mass_g, 50 + 2, absolute=1e-6)
        self.assertClose(held["frosted"].mass_g, 50 + 25, absolute=1e-6)
        whole = sum(k.count * held[k.name].free_sugars_who_g for k in kinds)
        self.assertClose(whole, total(formula.lines).free_sugars_who_g, rel=1e-9)

    def test_the_same_tin_in_12_16_or_32(self) -> None:
        formula = formula_of(self.TEXT)
        for count in (12, 16, 32):
            from dataclasses import replace

            held = portion_totals(replace(formula, servings=count), [])
            self.assertClose(held[""].mass_g * count, formula.mass_g, rel=1e-9)

    def test_kinds_that_do_not_add_up_are_refused(self) -> None:
        formula = formula_of(self.TEXT)
        everything = ("loaf", "frosting", "dusting")
        for kinds in (
            [PortionKind("all", 15, everything)],
            [PortionKind("a", 8, everything), PortionKind("a", 8, everything)],
            [PortionKind("a", 16, ("loaf",))],
            [PortionKind("a", 16, (*everything, "glaze"))],
            [PortionKind("a", 17, everything), PortionKind("b", -1, everything)],
        ):
            with self.subTest(kinds), self.assertRaises(OutOfDomainError) as caught:
                portion_totals(formula, kinds)
            self.assertEqual(caught.exception.field, "portions")
