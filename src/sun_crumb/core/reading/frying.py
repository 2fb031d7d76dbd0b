"""Oil that a dessert is fried in: what the dough takes up of it counts, and not what stays in the pan."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import replace

from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.reading.records import ReadLine
from sun_crumb.core.reference import constant

_FRIES = re.compile(
    r"\b(?:for|to)\s+(?:the\s+)?(?:deep[- ]?|shallow[- ]?)?fry(?:ing)?\b|\b(?:deep[- ]?)?frying\s+oil\b|\b(?:for|to)\s+deep[- ]?fat\b"
    r"|\bzum\s+(?:aus|heraus)?(?:backen|braten|frittieren)\b|\bpara\s+(?:freír|freir|fritar)\b|\bper\s+friggere\b|\bpour\s+(?:la\s+)?(?:friture|frire)\b|\bom\s+te\s+frituren\b|\btill\s+(?:fritering|stekning)\b",
    re.I,
)


def with_what_is_taken_up(lines: Sequence[ReadLine], pantry: Pantry) -> tuple[ReadLine, ...]:
    """Return lines with each fat that the others are fried in by what they take up of it, where more is told.

    The share is `taken_up_frying` of the weight of what is fried: the foods of the fat's own component, or of the
    recipe where that has none.
    """
    return tuple(_taken_up(line, lines, pantry) for line in lines)


def _taken_up(line: ReadLine, lines: Sequence[ReadLine], pantry: Pantry) -> ReadLine:
    if not (line.status == "ok" and line.ingredient and line.grams and _FRIES.search(line.text)):
        return line
    if not pantry[line.ingredient].has_role("fat"):
        return line
    foods = [one for one in lines if one is not line and one.status == "ok" and one.grams]
    beside = [one for one in foods if one.component == line.component] or foods
    most = constant("taken_up_frying") * sum(one.grams or 0.0 for one in beside)
    if not 0.0 < most < line.grams:
        return line
    share = most / line.grams
    return replace(
        line,
        grams=most,
        grams_low=None if line.grams_low is None else line.grams_low * share,
        grams_high=None if line.grams_high is None else line.grams_high * share,
        candidates=tuple(
            replace(
                one,
                grams=None if one.grams is None else one.grams * share,
                total_sugars_g=None if one.total_sugars_g is None else one.total_sugars_g * share,
            )
            for one in line.candidates
        ),
        changed=f"for frying: {grams_text(line.grams)} becomes {grams_text(most)}, what the dough takes up",
    )
