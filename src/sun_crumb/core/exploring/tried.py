"""Which foods are tried one after the other around a plan: tried.csv."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal

from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.reference import table


def tried(kind: Literal["helps", "fills", "instead"], pantry: Pantry) -> Iterator[Ingredient]:
    """Give the foods of a kind in their order: *helps* to stay sweet, *fills* lost bulk, or sweetens *instead* of what a plan takes.

    Parameters
    ----------
    kind
        What they are tried for.
    pantry
        Where they stand.
    """
    return (pantry[row["ingredient"]] for row in table("tried") if row["kind"] == kind)
