"""What the pantry says of a statement of a text."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Known:
    """What the pantry says of a statement: whether it holds an amount, with a unit or a bare count, and a food."""

    has_food: bool
    has_amount: bool
    has_unit: bool
    is_behind: bool
    is_only_amount: bool
    # The food that the whole name is, where it is one.
    food: str = ""
