"""How many a recipe makes: what it is cut into and what it is cut from, told apart from times, weights and keeping.

A number of portions is taken only from words that speak of portions. Where they speak only of what pieces are cut from (a jar,
a loaf), or where the method alone lets it be guessed, it is said to be a guess.
"""

from __future__ import annotations

from collections.abc import Iterable

from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.reading.counts import (
    counting_words,
)
from sun_crumb.core.reading.portion_cues import Stated
from sun_crumb.core.reading.portion_steps import SURE
from sun_crumb.core.reading.records import Portions


def portions(found: Iterable[Stated]) -> Portions | None:
    """Return the portions that all places together tell, the most trusted first; None where none of them does.

    What is only guessed from the method, or only the whole that would be cut, is assumed.
    """
    found = list(found)
    counted = [s for s in found if s.count is not None and s.trust > 0]
    whole = next((s.whole for s in found if s.whole), "")
    if not counted:
        said = next((s for s in found if s.whole), None)
        if said is None:
            return None
        number, noun = said.whole.split(" ", 1)
        # Two loaves may go to two households; a jar is no portion of anything.
        count = int(number) if int(number) > 1 and singular(noun) not in counting_words("holder") else None
        return Portions(count, count, count, singular(noun) if count else "", whole, True, said.text)
    best = max(counted, key=lambda s: s.trust)
    assert best.count is not None
    noun = best.count.noun
    unit = "serving" if best.count.kind in ("person", "") else noun if best.count.kind == "piece" else "piece"
    return Portions(best.count.low, best.count.low, best.count.high, unit, whole, best.trust < SURE, best.text)
