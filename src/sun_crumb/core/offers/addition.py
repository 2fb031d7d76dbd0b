"""Something that a plan may add."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.offers.moves import Move
from sun_crumb.core.pantry import Ingredient

Kind = Literal[
    "paste", "puree", "syrup", "bulk", "crystal", "intense", "dry", "filler", "soda", "moist", "piece", "adjust", "acid", "swap", "stand_in", "flavour",
]  # fmt: skip
KINDS: dict[str, Kind] = {kind: kind for kind in get_args(Kind)}
ADJUSTERS = frozenset({"filler", "soda", "moist", "piece", "adjust", "acid", "swap", "stand_in", "flavour"})


# Which cap of the batter an addition of a kind falls under; and the kinds that a line of the recipe falls under by its role.
CAP_OF = {"paste": "paste", "puree": "puree", "syrup": "syrup", "filler": "filler", "dry": "filler"}
CAPPED_ROLES = ("paste", "puree", "syrup")


@dataclass(frozen=True, slots=True)
class Addition:
    """Something the plan may add: its kind, its least sensible dose [g], its cap [share of the batter] and what taking it costs the plan.

    A ``piece`` comes whole (eggs, yolks); a ``swap`` takes the place of the line at ``replaces``, gram for gram, of all of it or of
    so many of its ``pieces``; a ``stand_in`` takes the place of what a diet rules out there, ``base_g`` of it, and may ``move`` like a line of the recipe.
    A swap that is much work has to be ``worth`` it: that share of the recipe's sugar must go by it which nothing else takes out.
    ``is_required`` when the baker said that it must be in, ``set_g`` how much of it where that was said too.
    """

    ingredient: Ingredient
    kind: Kind
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
    pieces: int = 1
    worth: float = 0.0

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

    @property
    def cap(self) -> str:
        """The cap of the batter that it falls under, empty where it falls under none."""
        return CAP_OF.get(self.kind, "")


def capped_share(line: FormulaLine, addition: Addition | None, cap: str) -> float:
    """Return 1 where a line of the recipe, or what may come in, counts against a *cap* of the batter, else 0."""
    if addition is not None:
        return float(addition.cap == cap)
    return float(cap in CAPPED_ROLES and line.ingredient.has_role(cap) and not line.is_inclusion)
