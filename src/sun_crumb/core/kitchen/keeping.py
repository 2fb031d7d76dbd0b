"""How a dessert cools, is cut, keeps, freezes and thaws, by its kind; nothing is ever called safe at room temperature."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.balance import Family
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Kept:
    """What is said of one component: about cooling and cutting, or about keeping."""

    component: str
    about: Literal["cool", "keep"]
    words: str


def keeping(kinds: Mapping[str, Family]) -> tuple[Kept, ...]:
    """Return how each component cools and keeps, by keeping.csv; the same words once (common practice).

    Parameters
    ----------
    kinds
        The components' families, by name.
    """
    found: list[Kept] = []
    said: set[str] = set()
    for row in table("keeping"):
        keys = row["families"].split()
        for component, family in kinds.items():
            if family.is_among(keys) and row["words"] not in said:
                said.add(row["words"])
                found.append(Kept(component, "cool" if row["about"] == "cool" else "keep", row["words"]))
    return tuple(sorted(found, key=lambda k: (k.about, list(kinds).index(k.component))))
