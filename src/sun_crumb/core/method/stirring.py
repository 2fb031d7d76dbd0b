"""How often a step wants to be stirred or turned while it goes on by itself."""

from __future__ import annotations

import re
from collections.abc import Iterable

from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.numbers import WORDS

_ONES = "|".join(word for word, n in WORDS.items() if 1 <= n <= 60 and float(n).is_integer())
_EVERY = re.compile(
    r"\b(?:stir|shak|toss|turn|whisk|bast|mix|rotat|swirl|beat|fork)\w*\b[^.;]{0,48}?\b(?:(?P<every>every)\s+(?:(?P<few>few|couple of|so often)\s*)?"
    rf"(?:(?P<number>\d{{1,3}}|{_ONES})\s*(?:-|–|to)?\s*(?:\d{{1,3}})?\s*)?(?P<unit>minutes?|mins?|hours?|half[- ]hour)?|(?P<once>once|twice)\s+an?\s+(?P<per>minute|hour))",
    re.I,
)
# "Every few minutes" (judgement), and a syrup that catches sooner than white sugar (common practice) [min].
EVERY_FEW, CATCHES = 3, 5
_BOILS = re.compile(r"\b(?:boil|simmer|bubbl|cook|reduce)\w*\b", re.I)
_ALL_THE_TIME = re.compile(
    r"\b(?:stir|whisk)\w*\s+(?:constantly|continuously|all the (?:time|while)|non[- ]?stop)|\b(?:constantly|continuously)\s+(?:stir|whisk)|\b(?:don't|do not|without|never)\s+stir",
    re.I,
)


def stirred_every(text: str, boiled: Iterable[Ingredient] = ()) -> int | None:
    """Return after how many minutes a step is stirred again; None where its words tell no such rhythm, or hands never leave it.

    *boiled* is what goes in at it: of what scorches sooner than white sugar a pot on the boil is stirred every CATCHES minutes, told or not.

    Examples
    --------
    >>> stirred_every("Bake for 45 minutes, stirring every 15 minutes.")
    15
    >>> stirred_every("Simmer, stirring constantly, for 5 minutes.") is None
    True
    """
    if found := _EVERY.search(text):
        if found["once"]:
            whole = 60 if found["per"].lower() == "hour" else 1
            return whole if found["once"].lower() == "once" else max(whole // 2, 1)
        if found["number"]:
            number = int(found["number"]) if found["number"].isdigit() else int(WORDS[found["number"].lower()])
            return (
                number * 60 if (found["unit"] or "").lower().startswith("hour") else number if found["unit"] else None
            )
        if found["unit"]:
            unit = found["unit"].lower()
            return (
                30 if unit.startswith("half") else 60 if unit.startswith("hour") else EVERY_FEW if found["few"] else 1
            )
        return EVERY_FEW if found["few"] else None
    if _ALL_THE_TIME.search(text) or not _BOILS.search(text):
        return None
    return CATCHES if any("scorches" in food.traits for food in boiled) else None
