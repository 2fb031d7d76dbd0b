"""How often a step is stirred: told in words, or because what boils catches (common practice, no published source)."""

from __future__ import annotations

import unittest

from sun_crumb.core.method.stirring import CATCHES, EVERY_FEW, stirred_every
from sun_crumb.core.pantry import shipped_pantry

TOLD = {
    "Bake 1 hour, stirring three times (every 15 min).": 15,
    "Cook, stirring every few minutes, until thick.": EVERY_FEW,
    "Simmer 20 minutes and stir once a minute.": 1,
    "Freeze, whisking every half hour, until set.": 30,
    "Toast 10 minutes, toss every five minutes.": 5,
    "Turn every 10-15 minutes.": 10,
    "Stir twice an hour.": 30,
    "Simmer, stirring constantly, for 5 minutes.": None,
    "Mix every ingredient together.": None,
    "Beat in the eggs, every one by itself.": None,
    "Stir in the flour.": None,
}


class Stirred(unittest.TestCase):
    def test_as_the_words_tell(self) -> None:
        for text, every in TOLD.items():
            with self.subTest(text):
                self.assertEqual(stirred_every(text), every)

    def test_what_catches_is_stirred_untold(self) -> None:
        honey, sugar = (shipped_pantry()[key] for key in ("honey", "white_sugar"))
        self.assertEqual(stirred_every("Boil the honey with the butter.", [honey]), CATCHES)
        self.assertIsNone(stirred_every("Boil the sugar with the butter.", [sugar]))
        self.assertIsNone(stirred_every("Stir the honey into the batter.", [honey]))
        self.assertIsNone(stirred_every("Boil the honey without stirring.", [honey]))
