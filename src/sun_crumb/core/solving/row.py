"""One line of a problem: of the recipe, or what may come in."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.moves import Move


@dataclass(frozen=True, slots=True)
class Row:
    """One line of a problem, of the recipe or, with its ``addition``, what may come in.

    ``line`` is the line as the original has it, an addition's at 0 g; ``move`` how far it may go, None where it does not move or
    comes in; ``lock_g`` the amount that the baker has set of it [g]; ``seasoning`` why it is set for its flavour.
    """

    line: FormulaLine
    move: Move | None
    addition: Addition | None = None
    lock_g: float | None = None
    seasoning: str = ""

    @property
    def original_g(self) -> float:
        """How much of it the original holds [g]."""
        return self.line.grams if self.addition is None else 0.0

    @property
    def untouched_g(self) -> float:
        """What it is when nothing changes it [g]: as in the original, as much as it stands in for, or none."""
        return self.line.grams if self.addition is None else self.addition.base_g

    @property
    def set_g(self) -> float | None:
        """The amount that is set of it, and that no plan moves [g]."""
        return self.lock_g if self.addition is None else self.addition.set_g

    @property
    def is_cut(self) -> bool:
        """Whether it is a sweetener of the original that is to be cut."""
        return self.move is not None and self.move.is_cut

    @property
    def is_whole(self) -> bool:
        """Whether it goes by pieces, or wholly, or not at all: the model has rounded it."""
        return (self.move is not None and bool(self.move.step_g)) or (
            self.addition is not None and self.addition.kind in ("swap", "piece")
        )

    @property
    def is_new_sweetener(self) -> bool:
        """Whether it comes in to sweeten."""
        return self.addition is not None and self.addition.is_sweetener

    @property
    def can_set(self) -> bool:
        """Whether the baker may ask for another amount: not of what takes a line's place gram for gram."""
        return self.addition is None or self.addition.kind != "swap"
