"""What goes in a little at a time, told by the recipe's words (common practice, no published source)."""

from __future__ import annotations

import unittest

from sun_crumb.core.kitchen.by_little import goes_in_by_little

BY_LITTLE = (
    ("2-3 tbsp cold water", "Add just enough water to bring the dough together.", "water"),
    ("3 tbsp milk", "Add the milk a tablespoon at a time until it comes together.", "milk"),
    ("maple syrup, to taste", "Stir it all.", "maple syrup"),
    ("30 ml milk", "Loosen with milk if needed.", "milk"),
    ("3 tbsp water", "Rub in the butter until it looks like crumbs, then add enough water to bind.", "water"),
)
ALL_OF_IT = (
    ("120 ml milk", "Stir in the milk until smooth.", "milk"),
    (
        "250 g flour",
        "Rub butter into the flour until it looks like crumbs, then add enough water to bind.",
        "plain flour",
    ),
    ("150 g almonds", "Stir in the almonds and enough water to loosen it.", "almonds"),
    ("4 egg whites", "Whisk the egg whites until they hold peaks.", "egg white"),
    ("100 g sugar", "Add the sugar and whisk until it holds stiff peaks.", "sugar"),
)


class ByLittle(unittest.TestCase):
    def test_as_the_words_tell(self) -> None:
        for told in BY_LITTLE:
            with self.subTest(told):
                self.assertTrue(goes_in_by_little(*told))
        for told in ALL_OF_IT:
            with self.subTest(told):
                self.assertFalse(goes_in_by_little(*told))
