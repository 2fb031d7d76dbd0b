"""Bakes and slices against sums by hand."""

from __future__ import annotations

import tempfile
import unittest
from datetime import date, timedelta
from pathlib import Path

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.wish import Goals
from sun_crumb.schemas.days import SettingsIn
from sun_crumb.services import bakes, choices, kitchen, ledger, preferences, recipes
from sun_crumb.services.errors import ConflictError, NotFoundError
from sun_crumb.services.kept import KeptRecipe
from sun_crumb.store import Database

MONDAY = date(2026, 3, 9)


class Days(unittest.TestCase):
    """A cake of 200 g sugar and 600 g flour in 8 slices of 100 g: 25 g of sugar (99.8 %) in each."""

    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.database = Database(Path(folder.name) / "test.db")
        self.addCleanup(self.database.close)
        self.database.migrate()
        self.recipe = self.keep("Plain cake", white_sugar=200.0, plain_flour=600.0)

    def keep(self, title: str, **grams: float) -> KeptRecipe:
        lines = [kitchen.PlainLine(key, amount) for key, amount in grams.items()]
        return recipes.keep_recipe(self.database, recipes.NewRecipe(title, lines, 8, "slice"))

    def bake(self, recipe: KeptRecipe, on: date = MONDAY, number: int = 0) -> int:
        return bakes.bake(self.database, recipe.versions[number].id, on)[0].id

    def test_a_week_by_hand(self) -> None:
        bake = self.bake(self.recipe)
        for day, count in ((0, 1.0), (0, 0.5), (2, 2.0), (6, 1.0), (9, 4.0)):
            ledger.eat(self.database, bake, MONDAY + timedelta(days=day), count, "Ada")
        week = ledger.ledger(self.database, MONDAY, MONDAY + timedelta(days=6))
        self.assertEqual([d.servings for d in week.days], [1.5, 2, 1])
        self.assertEqual(week.total.servings, 4.5)
        self.assertAlmostEqual(week.total.free_sugars_who_g, 4.5 * 25 * 0.998, delta=0.05)
        self.assertEqual([s.count for s in week.servings], [1, 2, 0.5, 1])
        self.assertEqual(week.bakes[0].eaten, 8.5)

    def test_an_edited_recipe_does_not_change_the_past(self) -> None:
        bake = self.bake(self.recipe)
        ledger.eat(self.database, bake, MONDAY, 1)
        before = ledger.ledger(self.database, MONDAY, MONDAY).total
        lines = [kitchen.PlainLine("white_sugar", 10.0), kitchen.PlainLine("plain_flour", 600.0)]
        recipes.change_recipe(self.database, self.recipe.id, 1, {"lines": lines})
        self.assertEqual(ledger.ledger(self.database, MONDAY, MONDAY).total, before)

    def test_a_rework_saves_against_its_original_by_weight(self) -> None:
        kept = recipes.keep_version(
            self.database,
            self.recipe.id,
            Goals(path="less", cut=0.3, keep_sweet=0.7, families={"": "butter_cake"}),
        )
        bake = self.bake(kept, number=1)
        ledger.eat(self.database, bake, MONDAY, 2)
        total = ledger.ledger(self.database, MONDAY, MONDAY).total
        held = kept.versions[1].per_serving
        wanted = 2 * (0.25 * 0.998 * held.mass_g - held.free_sugars_who_g)
        self.assertAlmostEqual(total.saved_free_sugars_who_g, wanted, delta=0.1)
        self.assertGreater(wanted, 5)

    def test_several_people_and_desserts_on_a_day(self) -> None:
        tart = self.keep("Honey tart", honey=80.0, plain_flour=320.0)
        first, second = self.bake(self.recipe), self.bake(tart)
        ledger.eat(self.database, first, MONDAY, 1, "Ada")
        ledger.eat(self.database, second, MONDAY, 2, "Bo")
        found = ledger.ledger(self.database, MONDAY, MONDAY)
        self.assertEqual({(s.title, s.who) for s in found.servings}, {("Plain cake", "Ada"), ("Honey tart", "Bo")})
        self.assertAlmostEqual(found.total.free_sugars_who_g, 25 * 0.998 + 2 * 10 * 0.8212, delta=0.05)

    def test_a_dessert_off_the_shelf_keeps_its_days_but_is_not_offered(self) -> None:
        bake = self.bake(self.recipe)
        ledger.eat(self.database, bake, MONDAY, 1)
        recipes.delete_recipe(self.database, self.recipe.id)
        found = ledger.ledger(self.database, MONDAY, MONDAY)
        self.assertEqual((found.total.servings, found.bakes), (1, ()))
        with self.assertRaises(NotFoundError):
            self.bake(self.recipe)

    def test_what_cannot_be_eaten(self) -> None:
        bake = self.bake(self.recipe)
        for count in (0, -1, float("nan"), float("inf"), 101):
            with self.subTest(count), self.assertRaises(OutOfDomainError) as caught:
                ledger.eat(self.database, bake, MONDAY, count)
            self.assertEqual(caught.exception.field, "count")
        with self.assertRaises(OutOfDomainError):
            ledger.eat(self.database, bake, MONDAY - timedelta(days=1), 1)
        with self.assertRaises(NotFoundError):
            ledger.remove_serving(self.database, 77)
        with self.assertRaises(OutOfDomainError):
            ledger.ledger(self.database, MONDAY, MONDAY - timedelta(days=1))

    def test_conflicting_edits_keep_the_stored_one(self) -> None:
        number = self.recipe.id
        recipes.change_recipe(self.database, number, 1, {"title": "First"})
        with self.assertRaises(ConflictError) as caught:
            recipes.change_recipe(self.database, number, 1, {"title": "Second"})
        stored = caught.exception.details["stored"]
        assert isinstance(stored, KeptRecipe)
        self.assertEqual((stored.title, stored.revision), ("First", 2))

    def test_settings_and_choices(self) -> None:
        self.assertEqual(preferences.get_settings(self.database).daily_limit_g, 25)
        changed = preferences.change_settings(self.database, SettingsIn(daily_limit_g=50.0, prices={"honey": 9.5}))
        self.assertEqual((changed.daily_limit_g, changed.prices), (50, {"honey": 9.5}))
        found = choices.choices(self.database)
        self.assertEqual([p.key for p in found.paths], ["fruit", "less", "unrefined", "zero", "blend"])
        # WHO 2015: 5 % and 10 % of 2,000 kcal at 4 kcal/g; SACN 2015: 30 g a day for adults.
        self.assertEqual({limit.grams for limit in found.limits}, {0.05 * 2000 / 4, 0.10 * 2000 / 4, 30})

    def test_cupboards_in_words(self) -> None:
        self.assertEqual(
            kitchen.cupboard_keys(["dates", "honey", "maple", "dates"]), ("date_paste", "honey", "maple_syrup")
        )
        self.assertEqual(kitchen.cupboard_keys(["prunes", "coconut sugar"]), ("prune_puree", "coconut_sugar"))
