"""What the core says is what stands written down: plans, methods, sums and natures, to four digits.

Whatever moves a figure, a word or a judgement shows here, also where no test names it. Where the change is meant, run
``python -m tests.core.standing``, read the diff as a baker, and commit it with its reason.
"""

from __future__ import annotations

import unittest
from difflib import unified_diff

from tests.core.standing import FOLDER, TEXTS


class Standing(unittest.TestCase):
    def test_the_core_says_what_it_said(self) -> None:
        for name, lines in TEXTS.items():
            with self.subTest(name):
                before = (FOLDER / f"{name}.txt").read_text(encoding="utf-8").splitlines()
                moved = list(unified_diff(before, list(lines()), "as it stood", "as it is", lineterm="", n=1))
                self.assertFalse(moved, f"{len(moved)} lines moved, first:\n" + "\n".join(moved[:24]))
