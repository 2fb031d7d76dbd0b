"""Words of ingredient names: folding, singulars and the index that finds names by their words."""

from __future__ import annotations

import re
import unicodedata
from functools import cache

from sun_crumb.core.quantities import nouns

_WORD = re.compile(r"[a-z0-9%][a-z0-9%'\-&]*")
_KEEP = frozenset(
    {
        "molasses",
        "swiss",
        "cress",
        "grass",
        "glass",
        "less",
        "couscous",
        "hibiscus",
        "asparagus",
        "anise",
        "hummus",
        "citrus",
        "as",
        "plus",
        "this",
        "brussels",
        "us",
        "gas",
        "quinces",
    }
)
_ODD = {
    "kiwis": "kiwi",
    "quinces": "quince",
    "yoghourt": "yoghurt",
    "purée": "puree",
    "choc": "chocolate",
    "pdr": "powder",
    "pwdr": "powder",
}


def fold(text: str) -> str:
    """Return *text* in lower case without accents, with plain apostrophes."""
    text = text.replace("’", "'").replace("‘", "'").lower()
    if text.isascii():
        return text
    text = text.translate(_SPELT_OUT)
    return "".join(c for c in unicodedata.normalize("NFKD", text) if not unicodedata.combining(c))


# Letters of other alphabets that no accent makes.
_SPELT_OUT = str.maketrans({"ß": "ss", "ł": "l", "ø": "o", "æ": "ae", "œ": "oe", "đ": "d", "þ": "th"})


@cache
def singular(word: str) -> str:
    """Return the singular of an English food word.

    Examples
    --------
    >>> [singular(w) for w in ("berries", "tomatoes", "eggs", "molasses", "dates")]
    ['berry', 'tomato', 'egg', 'molasses', 'date']
    """
    if word in _ODD:
        return _ODD[word]
    if word in _KEEP or len(word) < 4:
        return word
    return nouns.singular(word)


def words_of(text: str) -> list[str]:
    """Return the folded singular words of *text*, in order; hyphens split a word in two."""
    return [singular(w) for w in _WORD.findall(fold(text).replace("-", " "))]
