"""Cutting by geometry: pieces are as large as said, and together the whole."""

from __future__ import annotations

import unittest

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.cutting import LEAST_RIM_CM, cut, read_pieces, rows_told
from sun_crumb.core.kitchen.tins import read_size

TINS = ("20 x 30 cm", "23 cm square", "26 cm round", "loaf_900", "9 x 13 in")


class Cutting(unittest.TestCase):
    def test_all_pieces_are_the_whole(self) -> None:
        for tin in TINS:
            for pieces in ("12", "16", "32", "13", "8 + 12"):
                cuts = cut(read_size(tin), read_pieces(pieces))
                with self.subTest(tin, pieces=pieces):
                    self.assertAlmostEqual(sum(one.share_each * one.pieces for one in cuts), 1.0)
                    for one in cuts:
                        drawn = one.rows * one.columns if one.wide_cm else one.rows + one.columns
                        self.assertEqual(drawn, one.pieces)

    def test_a_tin_is_cut_as_square_as_it_goes(self) -> None:
        """Common practice, no published source: 24 of a 20 x 30 cm tin are 4 by 6."""
        (one,) = cut(read_size("20 x 30 cm"), (24,))
        self.assertEqual((one.rows, one.columns), (4, 6))
        self.assertIn("12 or 15", rows_told(cut(read_size("23 cm square"), (13,))))

    def test_round_ones_are_wedged_till_they_are_too_thin(self) -> None:
        """Common practice, no published source: a party cake has a circle cut first; inner and outer pieces are as large."""
        (plain,) = cut(read_size("26 cm round"), (12,))
        (party,) = cut(read_size("26 cm round"), (32,))
        self.assertEqual((plain.rows, party.rows), (0, 8))
        self.assertGreater(3.1416 * 26 / 12, LEAST_RIM_CM)

    def test_what_is_no_number_of_pieces_is_refused(self) -> None:
        for text in ("", "0", "many", "4 + 0", "999", "3 + 4 + 5"):
            with self.subTest(text), self.assertRaises(OutOfDomainError):
                read_pieces(text)


if __name__ == "__main__":
    unittest.main()
