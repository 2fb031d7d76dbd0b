"""Something that a plan may add."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.offers.moves import Move
from sun_crumb.core.pantry import Ingredient

ADJUSTERS = frozenset({"filler", "soda", "moist", "piece", "adjust", "acid", "swap", "stand_in", "flavour"})


@dataclass(frozen=True, slots=True)
class Addition:
    """Something the plan may add: its kind, its least sensible dose [g], its cap [share of the batter] and what taking it costs the plan.

    A ``piece`` comes whole (eggs, yolks); a ``swap`` takes the place of the line at ``replaces``, gram for gram; a
    ``stand_in`` takes the place of what a diet rules out there, ``base_g`` of it, and may ``move`` like a line of the recipe.
    ``is_required`` when the baker said that it must be in, ``set_g`` how much of it where that was said too.
    """

    ingredient: Ingredient
    kind: str
    least_g: float
    most_share: float | None
    penalty: float
    is_wished: bool = False
    is_required: bool = False
    replaces: int | None = None
    base_g: float = 0.0
    move: Move | None = None
    set_g: float | None = None
    words: str = ""

    @property
    def asked_g(self) -> float:
        """How much of it the baker wants in at least [g]."""
        if self.set_g is not None:
            return self.set_g
        return self.least_g if self.is_required else 0.0

    @property
    def is_sweetener(self) -> bool:
        """Whether it counts against the number of new sweeteners."""
        return self.kind not in ADJUSTERS
