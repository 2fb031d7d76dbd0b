"""No figure of judgement changes unseen: the tables are held against the document that bakers read (docs/figures.md)."""

from __future__ import annotations

import unittest
from pathlib import Path

from tools.make_figures import TABLES

from sun_crumb.core.reference import table

DOCUMENT = Path(__file__).resolve().parents[2] / "docs" / "figures.md"


class Documented(unittest.TestCase):
    def test_each_row_of_each_table_is_as_the_document_says(self) -> None:
        written = set(DOCUMENT.read_text(encoding="utf-8").splitlines()) if DOCUMENT.exists() else set()
        self.assertTrue(written)
        for name in TABLES:
            for row in table(name):
                with self.subTest(name, row=next(iter(row.values()))):
                    line = f"| {' | '.join(cell.replace('|', '/') for cell in row.values())} |"
                    self.assertTrue(line in written, f"{DOCUMENT.name} lacks: {line}")
