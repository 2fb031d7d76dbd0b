"""The reader's word lists: name_words.csv, and real_words.csv."""

from __future__ import annotations

from functools import cache

from sun_crumb.core.pantry.names import fold, singular
from sun_crumb.core.reference import table


@cache
def word_list(kind: str) -> frozenset[str]:
    """Return the words of one *kind*, folded, as written and in the singular."""
    for row in table("name_words"):
        if row["kind"] == kind:
            found = [fold(w) for w in row["words"].replace("-", " ").split()]
            return frozenset(found) | frozenset(map(singular, found))
    raise KeyError(kind)


@cache
def real_words() -> frozenset[str]:
    """Return the English and food words that lie near a word of the pantry and are no slips of it (tools/make_real_words.py)."""
    return frozenset(word for row in table("real_words") for word in row["words"].split())


FORMS = {
    "sifted": "sifted",
    "sieved": "sifted",
    "packed": "packed",
    "mashed": "mashed",
    "chopped": "chopped",
    "diced": "chopped",
    "grated": "grated",
    "shredded": "grated",
    "sliced": "sliced",
    "puréed": "puréed",
    "pureed": "puréed",
    "purée": "puréed",
    "puree": "puréed",
    "crushed": "crushed",
    "halves": "halves",
    "cubed": "cubed",
    "flaked": "flaked",
    "slivered": "slivered",
    "spooned": "spooned",
}
HEAPS = {"heaped": 1.25, "heaping": 1.25, "rounded": 1.15, "scant": 0.92, "generous": 1.08, "level": 1.0}
