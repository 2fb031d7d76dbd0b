"""Tables as CSV, each with a source column, and their one loader. Holds data, no rules."""

from __future__ import annotations

import csv
from functools import cache
from importlib.resources import files


@cache
def table(name: str) -> tuple[dict[str, str], ...]:
    """Return the rows of ``<name>.csv`` in their order, every cell as text."""
    text = files(__package__).joinpath(f"{name}.csv").read_text(encoding="utf-8")
    return tuple(csv.DictReader(text.splitlines()))


@cache
def constant(key: str) -> float:
    """Return one figure of constants.csv by its key.

    Raises
    ------
    KeyError
        The table has no such key.
    """
    for row in table("constants"):
        if row["key"] == key:
            return float(row["value"])
    raise KeyError(key)
