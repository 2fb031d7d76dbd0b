"""Nutrition panels and a day's limits against the laws and publications that they come from, all from memory of the texts."""

from __future__ import annotations

import doctest
import unittest

from sun_crumb.core.errors import OutOfDomainError, UnknownChoiceError
from sun_crumb.core.formula import total
from sun_crumb.core.labelling import rounding
from sun_crumb.core.labelling.panel import NOT_KNOWN, panels
from sun_crumb.core.labelling.rounding import eu_energy, eu_grams, us_energy, us_fat, us_grams, us_percent
from sun_crumb.core.sugars import limits
from sun_crumb.core.sugars.limits import age_bands, authorities, limit_for
from tests.support import CloseTo, batter


def load_tests(_loader: unittest.TestLoader, tests: unittest.TestSuite, _pattern: str | None) -> unittest.TestSuite:
    for module in (rounding, limits):
        tests.addTests(doctest.DocTestSuite(module))
    return tests


class Rounding(unittest.TestCase):
    def test_us_rounding_case_by_case(self) -> None:
        """21 CFR 101.9(c)(1), (2), (6) and (7), as in FDA's food labelling guide, appendix H."""
        for exact, told in (
            (0, 0),
            (4.9, 0),
            (5, 5),
            (7.4, 5),
            (7.5, 10),
            (47.4, 45),
            (50, 50),
            (54.9, 50),
            (55, 60),
            (124, 120),
            (125, 130),
        ):
            with self.subTest(kcal=exact):
                self.assertEqual(us_energy(exact), told)
        for exact, told in ((0.49, 0), (0.5, 0.5), (1.2, 1), (1.25, 1.5), (4.74, 4.5), (4.75, 5), (5.4, 5), (5.5, 6)):
            with self.subTest(fat=exact):
                self.assertEqual(us_fat(exact), told)
        for exact, words in (
            (0.49, "0 g"),
            (0.5, "less than 1 g"),
            (0.99, "less than 1 g"),
            (1.0, "1 g"),
            (1.49, "1 g"),
            (1.5, "2 g"),
            (27.5, "28 g"),
        ):
            with self.subTest(grams=exact):
                self.assertEqual(us_grams(exact), words)
        self.assertEqual([us_percent(x) for x in (0.0, 0.004, 0.005, 0.144, 0.5)], [0, 0, 1, 14, 50])

    def test_eu_rounding_case_by_case(self) -> None:
        """The Commission's guidance on tolerances and rounding for Regulation (EU) 1169/2011, table 4."""
        for exact, words in (
            (0.0, "0 g"),
            (0.5, "0 g"),
            (0.51, "0.5 g"),
            (0.56, "0.6 g"),
            (3.04, "3 g"),
            (9.94, "9.9 g"),
            (10.4, "10 g"),
            (10.5, "11 g"),
        ):
            with self.subTest(exact):
                self.assertEqual(eu_grams(exact), words)
        self.assertEqual([eu_energy(x) for x in (0.4, 0.5, 1034.5)], [0, 1, 1035])


class Panels(CloseTo):
    def test_a_portion_by_hand(self) -> None:
        formula = batter(10, caster_sugar=200, plain_flour=200, butter=200, egg=200)
        us, eu = panels(formula, 80.0)
        whole = total(formula.lines)
        rows = {row.name: row for row in us.rows}
        self.assertClose(rows["Calories"].exact, whole.energy_kcal / 10, absolute=1e-9)
        self.assertEqual(rows["of them added sugars"].told, "20 g")
        self.assertEqual(rows["of them added sugars"].percent, 40)
        self.assertEqual(rows["Total fat"].percent, round(100 * whole.fat_g / 10 / 78))
        self.assertNotIn("Sugar alcohols", rows)
        self.assertEqual(rows["Saturated fat, trans fat, cholesterol, sodium"].told, NOT_KNOWN)
        held = {row.name: row for row in eu.rows}
        self.assertClose(held["of which sugars"].exact, whole.total_sugars_g / 8, absolute=1e-9)
        # Sugars lie within the carbohydrate, fibre without.
        self.assertClose(held["Carbohydrate"].exact, (whole.carbohydrate_g - whole.fibre_g) / 8, absolute=1e-9)

    def test_energy_by_the_eus_factors(self) -> None:
        """Regulation (EU) 1169/2011, annex XIV: sugar 4, erythritol 0, other polyols 2.4, fat 9, fibre 2 kcal/g."""
        for key, kcal in (("caster_sugar", 399.8), ("erythritol", 0.0), ("xylitol", 239.0), ("inulin", 190.0)):
            _, eu = panels(batter(1, **{key: 100.0}), 100.0)
            with self.subTest(key):
                self.assertClose(eu.rows[0].exact / 4.184, kcal, absolute=12)

    def test_much_polyol_must_be_warned_of(self) -> None:
        """Regulation (EU) 1169/2011, annex III: above 10 % added polyols."""
        for grams, warned in ((9.0, False), (12.0, True)):
            _, eu = panels(batter(1, erythritol=grams, plain_flour=100 - grams), 100.0)
            with self.subTest(grams):
                self.assertEqual(any("laxative" in note for note in eu.notes), warned)
        us, _ = panels(batter(1, allulose=10, plain_flour=90), 100.0)
        self.assertTrue(any("allulose" in note for note in us.notes))
        with self.assertRaises(OutOfDomainError):
            panels(batter(1, plain_flour=100), 0.0)


class Limits(unittest.TestCase):
    def test_limits_are_those_published(self) -> None:
        """WHO 2015: 10 and 5 % of energy; AHA 2009 and 2017: 25 and 36 g, 25 g for children, none under two; 21 CFR 101.9: 50 and 25 g; SACN 2015 and NHS by age."""
        for authority, age, energy, grams, counted in (
            ("who_10", "adult", 2000, 50, "free_sugars_who_g"),
            ("who_5", "adult_man", 2400, 30, "free_sugars_who_g"),
            ("who_5", "adult_woman", None, 25, "free_sugars_who_g"),
            ("aha", "adult_woman", None, 25, "added_sugars_us_g"),
            ("aha", "adult_man", None, 36, "added_sugars_us_g"),
            ("aha", "7_to_10", None, 25, "added_sugars_us_g"),
            ("aha", "1_year", None, 0, "added_sugars_us_g"),
            ("us_dv", "adult", None, 50, "added_sugars_us_g"),
            ("us_dv", "2_to_3", None, 25, "added_sugars_us_g"),
            ("uk", "4_to_6", None, 19, "free_sugars_uk_g"),
            ("uk", "7_to_10", None, 24, "free_sugars_uk_g"),
            ("uk", "adult", None, 30, "free_sugars_uk_g"),
        ):
            found = limit_for(authority, age, energy)
            with self.subTest(authority, age=age):
                self.assertEqual((round(found.grams, 6), found.definition), (grams, counted))
                self.assertTrue(found.source)

    def test_every_age_has_a_figure_or_none_to_use_up(self) -> None:
        for authority in authorities():
            for age in age_bands():
                self.assertGreaterEqual(limit_for(authority, age, own_g=20.0).grams, 0.0)
        self.assertEqual(limit_for("who_10", "under_1").grams, 0.0)
        self.assertEqual(limit_for("own", "adult", own_g=18.0).grams, 18.0)

    def test_absurd_figures_are_refused_by_name(self) -> None:
        for kind, field in (({"energy_kcal": 20.0}, "energy_kcal"), ({"authority": "own"}, "own_limit_g")):
            with self.assertRaises(OutOfDomainError) as caught:
                limit_for(**{"authority": "who_5", "age": "adult"} | kind)  # type: ignore[arg-type]
            self.assertEqual(caught.exception.field, field)
        with self.assertRaises(UnknownChoiceError):
            limit_for("who_5", "elf")
