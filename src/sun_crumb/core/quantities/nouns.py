"""One and many of what is counted: slices, loaves, brownies. Irregular ones from nouns.csv."""

from __future__ import annotations

from functools import cache

from sun_crumb.core.reference import table


@cache
def _irregular() -> tuple[dict[str, str], dict[str, str]]:
    rows = table("nouns")
    return {row["one"]: row["many"] for row in rows}, {row["many"]: row["one"] for row in rows}


def plural(noun: str, count: float = 2) -> str:
    """Return an English noun as *count* of it are called; of several words the last one changes.

    Examples
    --------
    >>> [plural(noun) for noun in ("slice", "loaf", "small pastry", "glass", "brownie", "tray", "peach")]
    ['slices', 'loaves', 'small pastries', 'glasses', 'brownies', 'trays', 'peaches']
    >>> plural("loaf", 1)
    'loaf'
    """
    if count == 1 or not noun.strip():
        return noun
    before, _, last = noun.rpartition(" ")
    many = _irregular()[0].get(last.lower()) or _plural(last)
    return f"{before} {many}" if before else many


def _plural(word: str) -> str:
    if word.endswith("y") and word[-2:-1] not in "aeiou":
        return f"{word[:-1]}ies"
    return f"{word}es" if word.endswith(("s", "x", "ch", "sh")) else f"{word}s"


def singular(noun: str) -> str:
    """Return one of what *noun* names many of; one that names no many stays.

    Examples
    --------
    >>> [singular(noun) for noun in ("slices", "loaves", "berries", "glasses", "glass", "peaches", "people", "tomatoes")]
    ['slice', 'loaf', 'berry', 'glass', 'glass', 'peach', 'person', 'tomato']
    """
    before, _, last = noun.rpartition(" ")
    one = _irregular()[1].get(last.lower()) or _singular(last)
    return f"{before} {one}" if before else one


def _singular(word: str) -> str:
    if word.endswith("ies"):
        return word[:-3] + "y"
    if word.endswith(("oes", "shes", "ches", "sses", "xes")):
        return word[:-2]
    if word.endswith("s") and not word.endswith(("ss", "us", "is")):
        return word[:-1].removesuffix("'")
    return word
