"""Portions, ovens and amounts in the many ways that they are told (common practice, no published source)."""

from __future__ import annotations

import re
import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import Reading, read_recipe
from sun_crumb.core.reading.several import split_line
from sun_crumb.core.reference import table
from tests.core.fresh_recipes import FRESH
from tests.core.portions_in_recipes import IN_A_RECIPE
from tests.core.told_portions import AT_THE_END, UNDER_THE_TITLE
from tests.core.told_ways import LINES, OVENS, OVER_A_PART

FOODS = "200 g flour\n100 g sugar\n100 g butter\n2 eggs\n"
BAKED = "Mix and bake at 180C for 20 minutes."


def read(text: str) -> Reading:
    return read_recipe(text, shipped_pantry())


class ToldWays(unittest.TestCase):
    def test_portions(self) -> None:
        texts = [(f"Plain bake\n{said}\n\n{FOODS}\n{BAKED}\n", said, count) for said, count in UNDER_THE_TITLE]
        texts += [(f"Plain bake\n\n{FOODS}\n{BAKED} {said}\n", said, count) for said, count in AT_THE_END]
        for text, said, count in texts:
            with self.subTest(said):
                found = read(text).portions
                self.assertEqual(found.count if found else None, count)

    def test_portions_anywhere_in_a_recipe(self) -> None:
        for text, count in IN_A_RECIPE:
            with self.subTest(text.split("\n")[0]):
                found = read(text).portions
                self.assertEqual(found.count if found else None, count)

    def test_ovens(self) -> None:
        for said, celsius, is_fan in OVENS:
            with self.subTest(said):
                oven = read(f"Plain bake\nServes 8\n\n{FOODS}\nMix it all. {said}\n").oven
                if celsius is None or oven is None:
                    self.assertEqual(oven, celsius)
                else:
                    self.assertAlmostEqual(oven.temperature_c, celsius, delta=3)
                    self.assertEqual(oven.is_fan, is_fan)

    def test_parts(self) -> None:
        for said in OVER_A_PART:
            for above in ("", "Cake\n"):
                with self.subTest(said, above=above):
                    gap = "" if above else "\n"
                    text = f"Plain bake\nServes 8\n\n{above}{FOODS}\n{gap}{said}\n100 g icing sugar\n2 tbsp lemon juice\n{gap}Mix and bake.\n"
                    foods = [line for line in read(text).lines if line.ingredient]
                    parts = dict.fromkeys(line.component for line in foods)
                    self.assertEqual(len(parts), 2)
                    self.assertEqual([line.component == list(parts)[1] for line in foods[-3:]], [False, True, True])

    def test_lines(self) -> None:
        for row in LINES.strip().splitlines():
            line, _, wanted = row.partition("|")
            with self.subTest(line):
                told = read(f"Simple cake\nServes 8\n\n7 g desiccated coconut\n{line}\n\nMix and bake.\n").lines
                found = [one for one in told if one.ingredient and "desiccated" not in one.text]
                words = wanted.split()
                grams: dict[str, float] = {}
                for one in found:
                    grams[one.ingredient or ""] = grams.get(one.ingredient or "", 0.0) + (one.grams or 0.0)
                self.assertEqual(list(grams), words[::2])
                for food, weight in zip(words[::2], words[1::2], strict=True):
                    if weight != "?":
                        self.assertAlmostEqual(grams[food], float(weight), delta=0.1 * float(weight) + 0.3)
                        self.assertTrue(all(one.status == "ok" for one in found))


if __name__ == "__main__":
    unittest.main()


class InPlainerWords(unittest.TestCase):
    def test_the_words_that_a_way_of_writing_needs_hide_none(self) -> None:
        """What is not searched for, since a word is missing that every text of its kind holds, would not have been found."""
        rows = [row.partition("|")[0] for row in LINES.strip().splitlines()]
        lines = {*rows, *(line for text, *_ in FRESH for line in text.splitlines() if len(line) < 160)}
        ways = [(re.compile(row["pattern"], re.I), row["holds"].split("|")) for row in table("plain_ways")]
        used = set()
        for line in lines:
            for n, (pattern, needs) in enumerate(ways):
                if pattern.search(line):
                    used.add(n)
                    self.assertTrue(any(word in line.lower() for word in needs), (line, pattern.pattern))
        self.assertGreater(len(used), len(ways) / 2)  # most of them are written by somebody here

    def test_what_is_remembered_is_what_is_found_out(self) -> None:
        for line in ("2 eggs plus 1 yolk", "300ml pot double cream", f"100 g {'very ' * 60}ripe plums"):
            with self.subTest(line[:20]):
                self.assertEqual(split_line(line), split_line(line))
                self.assertEqual(split_line(line), split_line.__wrapped__(line))
