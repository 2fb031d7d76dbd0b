"""Ways of writing a line: each of the table fits its own example, and is found by the words that it says every such text holds."""

import re
import unittest

from sun_crumb.core.reading.plainly import plainly
from sun_crumb.core.reference import table


class PlainWaysTest(unittest.TestCase):
    def test_each_way_puts_its_own_example_more_plainly(self):
        for row in (*table("plain_ways"), *table("portion_ways")):
            with self.subTest(row["written"]):
                told, count = re.subn(row["pattern"], row["instead"], row["written"], count=1, flags=re.I)
                self.assertEqual((told, count), (row["plainly"], 1))
                self.assertTrue(any(word in row["written"].lower() for word in row["holds"].split("|")))

    def test_a_line_comes_out_as_its_plainer_words_do(self):
        for row in table("plain_ways"):
            with self.subTest(row["written"]):
                self.assertEqual(plainly(row["written"]), plainly(row["plainly"]))

    def test_what_is_plain_already_stays(self):
        for text in ("250 g plain flour, sifted", "2 large eggs", "1 tsp vanilla extract", "a pinch of salt"):
            self.assertEqual(plainly(text), text)


if __name__ == "__main__":
    unittest.main()
