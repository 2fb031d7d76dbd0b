"""One mention of ingredient lines as it stands in a step."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.method.names import Names, Phrase
from sun_crumb.core.pantry.names import words_of
from sun_crumb.core.reading.records import Amount

Part = Literal["whole", "share", "rest", "little", "most", "amount", "back", "tin"]


@dataclass(frozen=True, slots=True)
class Said:
    """One mention as it stands: the phrase, the lines it may mean and how closely, the part that it takes.

    Where it ``is_all_but`` its amount, that is what is kept back.
    """

    start: int
    end: int
    phrase: Phrase
    lines: dict[int, int]
    part: Part
    share: float = 1.0
    amount: Amount | None = None
    is_many: bool = False
    lead: int = -1
    is_all_but: bool = False

    def closest(self, names: Names) -> list[int]:
        """Return the lines that the phrase means most closely: "the coconut" is desiccated coconut before it is coconut oil."""
        best = max(self.lines.values(), default=0)
        close = [n for n, how in self.lines.items() if how == best]
        ending = [n for n in close if tuple(words_of(names.lines[n].name))[-len(self.phrase) :] == self.phrase]
        return ending or close
