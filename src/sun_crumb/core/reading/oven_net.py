"""A last look for the oven's heat, where no word speaks of an oven: a heat in a clause of its own, as "190C 20-25" or "350"."""

from __future__ import annotations

import re

from sun_crumb.core.reading.oven_heat import NO_OVEN, read_oven
from sun_crumb.core.reading.records import Oven

_CLAUSES = re.compile(r"[.;!?]+(?=\s|$)|\n+|,\s+")
# A heat with its degrees, or a bare number that dials have, and then nothing but how long.
_HEAT = re.compile(
    r"\W*(?:(?:oven|tin|pan|tray|at)\W+)?(?:\d{1,3}(?:\s*(?:-|–|to|bis)\s*\d{1,3})?\s*min\w*\.?\W+(?:at\s+|bei\s+)?)?(?P<heat>\d{3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(?P<unit>[CF]\b)?\s*(?P<fan>\(?fan\)?)?"
    r"(?:\W+(?:blind\s+)?(?:for\s+)?(?:about\s+)?\d{1,2}(?:\s*(?:-|–|to)\s*\d{1,3})?(?:\s*(?:m|min|mins|minutes|h|hr|hrs)\b\.?)?)?(?:\s+(?:and\s+)?then\s+[^.;]{1,40}|\s+in\s+an?\s+[^.;,]{1,24}?(?:tin|pan|dish|tray))?\W*",
    re.I,
)
# What a cake is baked in, and nothing is fried.
_BAKING_PAN = re.compile(
    r"\b(?:tube|cake|bundt|loaf|baking|square|round|springform|muffin|sheet|jelly[- ]roll|\d+\s*-?(?:[x×]\s*\d+|inch|in\b|cm|\"|″)?)\s*pans?\b",
    re.I,
)
# The least and the most that a heat in a clause of its own may be by each dial, narrower than what an oven reaches [°C], [°F] (judgement).
BY_CELSIUS, BY_FAHRENHEIT = (120, 250), (275, 480)
# A bare number without degrees goes by steps of so many [°F] (common practice).
STEP = 5


def caught_oven(method: str) -> Oven | None:
    """Return the first heat that stands in a clause of its own, none where what is boiled or fried is told before it.

    Examples
    --------
    >>> caught_oven("Press in the tin. 190C 20-25. Heat the topping.")
    Oven(temperature_c=190.0, is_fan=False)
    """
    before = ""
    for clause in _CLAUSES.split(method):
        found = _HEAT.fullmatch(clause.strip())
        if found and _is_dialled(found) and not NO_OVEN.search(_BAKING_PAN.sub("tin", before)):
            return read_oven(f"oven {found['heat']} {found['unit'] or ''} {found['fan'] or ''}")
        before = clause
    return None


def _is_dialled(found: re.Match[str]) -> bool:
    heat, unit = int(found["heat"]), (found["unit"] or "").upper()
    is_c, is_f = (least <= heat <= most for least, most in (BY_CELSIUS, BY_FAHRENHEIT))
    return (is_c and unit != "F") or (is_f and unit != "C" and not (heat % STEP))
