"""Tables as CSV, each with a source column, and their one loader. Holds data, no rules."""

from __future__ import annotations

import csv
from dataclasses import dataclass
from functools import cache
from importlib.resources import files

# What tells two rows of a table apart, where that is not its first column: such a row must not be there twice.
KEYS: dict[str, tuple[str, ...]] = {
    "cautions": ("key", "tag"),
    "family_signs": ("sign", "where"),
    "fights": ("comes_in", "against"),
    "levers": ("foods", "instead"),
    "line_order": ("before", "after"),
    "preparation_names": ("key", "means"),
    "prepared_as": ("kind", "food"),
    "preparations": ("kind", "key"),
    "workshop_fields": ("sum", "key"),
    "name_words": ("kind", "words"),
    "pantry_measures": ("key", "unit", "form"),
    "pantry_names": ("key", "name"),
    "recasts": ("base", "families"),
    "score_sheet": ("aspect", "value"),
    "stand_ins": ("foods", "stand_ins"),
    "textures": ("metric", "families"),
    "tried": ("kind", "ingredient"),
}


class DuplicateKeyError(ValueError):
    """Two rows of a table have the same key: one of them would be lost without a word."""


@cache
def table(name: str) -> tuple[dict[str, str], ...]:
    """Return the rows of ``<name>.csv`` in their order, every cell as text.

    Raises
    ------
    DuplicateKeyError
        Two rows have the same key.
    """
    text = files(__package__).joinpath(f"{name}.csv").read_text(encoding="utf-8")
    return rows_of(name, text)


@cache
def rows_by(name: str, column: str) -> dict[str, tuple[dict[str, str], ...]]:
    """Return the rows of a table by each word of a *column* that holds several, in their order."""
    found: dict[str, list[dict[str, str]]] = {}
    for row in table(name):
        for word in row[column].split():
            found.setdefault(word, []).append(row)
    return {word: tuple(rows) for word, rows in found.items()}


def rows_of(name: str, text: str) -> tuple[dict[str, str], ...]:
    """Return the rows of a table from its *text*; raise DuplicateKeyError where two have the same key."""
    reader = csv.DictReader(text.splitlines())
    rows = tuple(reader)
    columns = KEYS.get(name, tuple((reader.fieldnames or ())[:1]))
    seen: set[tuple[str, ...]] = set()
    for row in rows:
        key = tuple(row[column] for column in columns)
        if key in seen:
            raise DuplicateKeyError(f"{name}.csv holds {' / '.join(key)!r} twice")
        seen.add(key)
    return rows


@dataclass(frozen=True, slots=True)
class Constant:
    """One figure: its unit, how far it may be off and why, what it holds for, and where it is from."""

    key: str
    value: float
    unit: str
    uncertainty: float
    uncertainty_why: str
    valid_for: str
    source: str
    locator: str


@cache
def constants() -> dict[str, Constant]:
    """Return the figures of constants.csv by key."""
    return {
        row["key"]: Constant(
            row["key"],
            float(row["value"]),
            row["unit"],
            float(row["uncertainty"]),
            row["uncertainty_why"],
            row["valid_for"],
            row["source"],
            row["locator"],
        )
        for row in table("constants")
    }


def constant(key: str) -> float:
    """Return the value of one figure of constants.csv, in its unit.

    Raises
    ------
    KeyError
        The table has no such key.
    """
    return constants()[key].value
