"""Preparations conserve; tins, ovens and candy against geometry, CoolProp and common practice."""

from __future__ import annotations

import doctest
import math
import unittest

from CoolProp.CoolProp import PropsSI

from sun_crumb.core.errors import OutOfDomainError, UnknownChoiceError
from sun_crumb.core.kitchen import candy, ovens, tins
from sun_crumb.core.kitchen.mass import SOLIDS, SUGARS, Mass
from sun_crumb.core.kitchen.preparations import KINDS, prepare
from sun_crumb.core.pantry import shipped_pantry
from tests.support import CloseTo

PANTRY = shipped_pantry()
# One call of every kind, and what goes in by pantry key [g].
CALLS: tuple[tuple[str, dict[str, str], dict[str, float]], ...] = (
    ("paste", {"grams": "200", "water": "100"}, {"medjool_date": 200, "water": 100}),
    ("paste", {"grams": "150", "water": "200", "liquid": "milk"}, {"medjool_date": 150, "milk": 200}),
    ("soak", {"grams": "200", "water": "200"}, {"medjool_date": 200, "water": 200}),
    ("plump", {"grams": "100", "water": "200", "after": "128"}, {"raisin": 100, "water": 200}),
    ("mash", {"weighed": "310"}, {"banana": 310}),
    ("roast", {"grams": "500", "food": "sweet_potato"}, {"sweet_potato": 500}),
    ("steam", {"grams": "500", "food": "sweet_potato"}, {"sweet_potato": 500}),
    ("boil", {"grams": "500", "food": "sweet_potato"}, {"sweet_potato": 500}),
    ("squeeze", {"before": "300", "after": "210"}, {"courgette": 300}),
    ("reduce", {"grams": "500", "brix": "60"}, {"orange_juice": 500}),
    ("cream", {"grams": "400"}, {"coconut_milk_tinned": 400}),
    ("grind", {"grams": "100", "starch": "3"}, {"erythritol": 100, "cornflour": 3}),
    ("nut_milk", {"grams": "100", "water": "500"}, {"almonds": 100, "water": 500}),
    ("flour", {"grams": "100"}, {"rolled_oats": 100}),
    ("gel", {"grams": "7"}, {"ground_flax": 7, "water": 44.8}),
    ("toast", {"grams": "100"}, {"walnuts": 100}),
    ("melt", {"grams": "100"}, {"dark_chocolate_70": 100}),
    ("buttermilk", {"milk": "240"}, {"milk": 240, "lemon_juice": 14.4}),
    ("soak_nuts", {"grams": "150"}, {"cashews": 150}),
)


def load_tests(_loader: unittest.TestLoader, tests: unittest.TestSuite, _pattern: str | None) -> unittest.TestSuite:
    for module in (tins, ovens):
        tests.addTests(doctest.DocTestSuite(module))
    return tests


class Preparations(CloseTo):
    def test_nothing_is_lost_and_nothing_comes_from_nowhere(self) -> None:
        self.assertEqual({kind for kind, _, _ in CALLS}, set(KINDS))
        for kind, given, foods in CALLS:
            found = prepare(kind, given, PANTRY)
            went_in = Mass.none()
            for key, grams in foods.items():
                went_in += Mass.of(PANTRY[key], grams)
            came_out = found.made + found.left + found.drawn
            if kind == "soak_nuts":  # water of the bowl that is drained is not counted
                came_out = came_out.wetter(went_in.mass_g - came_out.mass_g)
            with self.subTest(kind, **given):
                self.assertClose(came_out.mass_g, went_in.mass_g, absolute=0.01)
                self.assertClose(came_out.water_g, went_in.water_g, absolute=0.01)
                self.assertClose(came_out.total_sugars_g, went_in.total_sugars_g, absolute=0.01)
                self.assertClose(came_out.energy_kcal, went_in.energy_kcal, rel=1e-6)
                for name in SOLIDS:
                    self.assertClose(came_out.held(name), went_in.held(name), absolute=0.01, msg=name)

    def test_a_juice_boiled_down_is_as_strong_as_asked(self) -> None:
        """°Brix is grams of dissolved solids in 100 g (ICUMSA; Codex CXS 247 for juices)."""
        found = prepare("reduce", {"grams": "1000", "brix": "65"}, PANTRY).made
        solids = found.mass_g - found.water_g - found.held("fat_g") - found.held("protein_g") - found.held("fibre_g")
        self.assertClose(100 * solids / found.mass_g, 65, absolute=0.01)
        self.assertGreater(sum(found.held(s) for s in SUGARS), 0.7 * solids)

    def test_wrong_figures_name_themselves(self) -> None:
        for kind, given, field in (
            ("paste", {"grams": "much"}, "grams"), ("paste", {}, "grams"), ("squeeze", {"before": "100", "after": "200"}, "after"),
            ("squeeze", {"before": "100", "after": "1"}, "after"), ("reduce", {"grams": "100", "brix": "5"}, "brix"), ("roast", {"grams": "100", "after": "5"}, "after"),
            ("paste", {"grams": "-5"}, "grams"), ("soak", {"grams": "100", "water": "10", "after": "200"}, "after"),
        ):  # fmt: skip
            with self.subTest(kind, **given), self.assertRaises(OutOfDomainError) as caught:
                prepare(kind, given, PANTRY)
            self.assertEqual(caught.exception.field, field)
        with self.assertRaisesRegex(OutOfDomainError, "paste asks for no sugar; it takes: food, grams"):
            prepare("paste", {"grams": "100", "sugar": "5"}, PANTRY)
        self.assertEqual(
            prepare("date-paste", {"dates_g": "100", "water_g": "50"}, PANTRY),
            prepare("paste", {"grams": "100", "water": "50"}, PANTRY),
        )
        with self.assertRaises(UnknownChoiceError):
            prepare("conjure", {}, PANTRY)


class Tins(CloseTo):
    def test_volumes_are_geometry(self) -> None:
        self.assertClose(tins.read_size("20 cm round").volume_ml, math.pi * 100 * 5, absolute=1e-6)
        self.assertClose(tins.read_size("9 in square").area_cm2, (9 * 2.54) ** 2, absolute=1e-6)
        self.assertClose(tins.read_size("23 x 33 cm").area_cm2, 23 * 33, absolute=1e-6)
        self.assertClose(tins.read_size("2 x 20 cm round").whole_ml, 2 * math.pi * 100 * 5, absolute=1e-6)
        # A number of cups is no tin so many centimetres wide.
        told = {"12 muffin cups": 960, "12 cups": 960, "6 ramekins": 900, "muffin_12": 960, "12 cupcakes": 960}
        self.assertEqual({text: round(tins.read_size(text).whole_ml) for text in told}, told)

    def test_the_same_depth_bakes_as_long_and_a_deeper_one_longer(self) -> None:
        small, large = tins.read_size("20 cm round"), tins.read_size("25 cm round")
        self.assertEqual(tins.refit(small, large, (40, 45)).minutes, (40, 45))
        kept = tins.refit(large, small, (40, 45), keep_amount=True)
        self.assertEqual((kept.factor, kept.lower_c), (1.0, 10.0))
        self.assertClose(kept.depth_ratio, 1.5625, absolute=1e-3)
        assert kept.minutes is not None
        self.assertGreater(kept.minutes[0], 45)

    def test_scoops_by_their_number(self) -> None:
        """A number tells how many level scoops fill a US quart of 946 ml (common practice)."""
        count, each = tins.scoops(1000, 40)
        self.assertClose(each, 26, absolute=0.1)
        self.assertEqual(count, 39)


class Heat(CloseTo):
    def test_dials_agree(self) -> None:
        """350 °F, 180 °C, 160 °C with a fan and gas 4 are one oven (common practice)."""
        for found in (
            ovens.setting(350, "F"),
            ovens.setting(180),
            ovens.setting(160, is_fan=True),
            ovens.setting(4, "gas"),
        ):
            self.assertClose(found.conventional_c, 180, absolute=3)
            self.assertEqual(found.gas, "4")
        self.assertEqual(ovens.setting(180, offset_c=10).dial_c, 170)
        for bad in (900, 20):
            with self.assertRaises(OutOfDomainError):
                ovens.setting(bad)

    def test_water_boils_lower_up_high(self) -> None:
        """Against CoolProp (IAPWS-95) at the pressure of the ICAO standard atmosphere."""
        for metres in (0, 500, 1000, 1609, 2500, 3500):
            pressure = 100 * ovens.pressure_hpa(metres)
            self.assertClose(
                ovens.boiling_point_c(metres), PropsSI("T", "P", pressure, "Q", 0, "Water") - 273.15, absolute=0.25
            )

    def test_stages_fall_with_the_water(self) -> None:
        sea, high = candy.boiled("soft ball").stage, candy.boiled("soft ball", altitude_m=1609).stage
        self.assertClose(sea.low_c, 112, absolute=0.1)
        self.assertClose(sea.low_c - high.low_c, 100 - ovens.boiling_point_c(1609), absolute=0.1)
        self.assertEqual(candy.boiled(temperature_c=150).stage.key, "hard_crack")
        self.assertIn(candy.CAUTION, candy.boiled("caramel").words)

    def test_what_browns_sooner_is_said_to_and_never_boiled_past_it(self) -> None:
        """Common practice, no published source: honey browns and burns before white sugar, erythritol makes no caramel.
        Fructose caramelises from 110 °C, sucrose from 160 (handbook values, from memory)."""
        pantry = shipped_pantry()
        heat = {
            key: candy.browns_from_c([(pantry[key], 100.0)])
            for key in ("white_sugar", "maple_syrup", "honey", "agave_syrup", "erythritol")
        }
        self.assertEqual((heat["white_sugar"], heat["erythritol"]), (160.0, None))
        self.assertEqual(
            sorted((k for k in heat if heat[k]), key=lambda k: heat[k] or 0),
            ["agave_syrup", "honey", "maple_syrup", "white_sugar"],
        )
        honey = candy.boiled("hard crack", pot=[(pantry["honey"], 100.0)])
        self.assertTrue(any("burns on the way" in words for words in honey.words))
        self.assertGreater(honey.stage.low_c, candy.boiled("hard crack").stage.low_c + 20)
        self.assertEqual(
            candy.boiled("caramel", altitude_m=1600).stage.low_c, 160, "molten sugar is as hot at any height"
        )
        with self.assertRaises(OutOfDomainError):
            candy.boiled("caramel", pot=[(pantry["butter"], 100.0)])

    def test_a_syrups_molecules_are_those_of_its_sugars(self) -> None:
        """Molar masses: sucrose 342.3, glucose and fructose 180.16 g/mol (standard atomic weights)."""
        pantry = shipped_pantry()
        self.assertAlmostEqual(candy.molar_factor_of([(pantry["white_sugar"], 50.0)]), 1.0, places=3)
        half = candy.molar_factor_of([(pantry["white_sugar"], 100.0), (pantry["allulose"], 100.0)])
        self.assertAlmostEqual(half, (1 + 342.297 / 180.156) / 2, delta=0.02)


if __name__ == "__main__":
    unittest.main()
