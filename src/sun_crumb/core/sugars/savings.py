"""What a reworked portion saves against the original at the same portion."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Protocol

from sun_crumb.core.errors import OutOfDomainError

SAVED = (
    "energy_kcal",
    "total_sugars_g",
    "refined_sugar_g",
    "added_sugars_us_g",
    "free_sugars_who_g",
    "free_sugars_uk_g",
)


class Whole(Protocol):
    """The totals of a whole batch."""

    @property
    def mass_g(self) -> float: ...


@dataclass(frozen=True, slots=True)
class Savings:
    """What one portion of the rework saves against as many grams of the original; negative when it holds more."""

    portion_g: float
    energy_kcal: float
    total_sugars_g: float
    refined_sugar_g: float
    added_sugars_us_g: float
    free_sugars_who_g: float
    free_sugars_uk_g: float

    def times(self, servings: float) -> Savings:
        """Return the savings over *servings* portions."""
        return Savings(self.portion_g * servings, *(getattr(self, name) * servings for name in SAVED))


def savings(before: Whole, after: Whole, servings_after: int) -> Savings:
    """Return what one portion of *after* saves against the same mass of *before*.

    Both are Totals of the whole batch. The portion compared is the rework's own: a slice that only got smaller saves
    nothing here.

    Raises
    ------
    OutOfDomainError
        One of the two weighs nothing.
    """
    mass_before, mass_after = before.mass_g, after.mass_g
    if mass_before <= 0 or mass_after <= 0:
        raise OutOfDomainError("a recipe without any weight has no portion", field="lines")
    portion_g = mass_after / servings_after
    values = {
        name: (getattr(before, name) / mass_before - getattr(after, name) / mass_after) * portion_g for name in SAVED
    }
    return Savings(portion_g, **values)
