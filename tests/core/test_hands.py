"""A recipe says the same whoever has written it down."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import Reading, read_recipe
from tests.core.fresh_recipes import FRESH
from tests.support.hands import hands, is_same, plain_ones, said

# Every so manieth recipe is laid out anew, and so many of a hand's are tried (what a run of the tests has time for).
EVERY, TRIED = 7, 6
# What the reader keeps of each hand's recipes, and of all together, found by ``python -m bench.hands``; the rest says another thing in another layout.
LEAST_OF_A_HAND, LEAST_OF_ALL = 0.5, 0.9


def read(text: str) -> Reading:
    return read_recipe(text, shipped_pantry())


class Hands(unittest.TestCase):
    """Hands are made up; no published source."""

    def test_a_recipe_says_the_same_in_other_hands(self) -> None:
        recipes = list(plain_ones((text for text, *_ in FRESH[::EVERY] if len(text) < 2_000), read))
        self.assertGreater(len(recipes), 40)
        tried = same = 0
        for n, (name, write) in enumerate(hands()):
            told = [(text, wanted) for recipe, wanted in recipes[n % 5 :: 3] if (text := write(recipe))][:TRIED]
            kept = sum(is_same(wanted, said(read(text))) for text, wanted in told)
            tried, same = tried + len(told), same + kept
            with self.subTest(name):
                self.assertGreaterEqual(kept, LEAST_OF_A_HAND * len(told))
        self.assertGreaterEqual(same, LEAST_OF_ALL * tried)


if __name__ == "__main__":
    unittest.main()
