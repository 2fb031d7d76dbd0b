"""What a change does to how a step is done: less sugar to cream, whites with less sugar."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping, Sequence

from sun_crumb.core.method.records import MethodStep
from sun_crumb.core.reference import table


def notes_for(cuts: Mapping[str, float]) -> Callable[[MethodStep], Sequence[str]]:
    """Return what is to be said of a step where so much of a component's sugar went (*cuts*: its name, the share 0 to 1), by technique.csv."""

    def notes(step: MethodStep) -> list[str]:
        cut = cuts.get(step.component, 0.0)
        found = []
        for row in table("technique"):
            is_said = re.search(row["pattern"], step.text, re.I)
            if is_said and cut >= float(row["least"]) and row["words"] not in found:
                found.append(row["words"])
        return found

    return notes
