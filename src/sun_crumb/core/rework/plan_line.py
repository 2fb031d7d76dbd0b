"""One line of a plan, before and after."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class PlanLine:
    """One line before and after [g]; ``position`` is the original's, None for what is new.

    ``step_g`` is the household measure that its amount steps by; ``can_set`` whether another amount may be asked for: not of
    what takes a line's place gram for gram.
    """

    position: int | None
    component: str
    ingredient: str
    name: str
    before_g: float
    after_g: float
    household_before: str
    household: str
    reason: str
    is_locked: bool
    step_g: float
    can_set: bool = True
