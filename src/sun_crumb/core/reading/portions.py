"""How many a recipe makes: what it is cut into and what it is cut from, told apart from times, weights and keeping.

A number of portions is taken only from words that speak of portions. Where they speak only of what pieces are cut from (a jar,
a loaf), or where the method alone lets it be guessed, it is said to be a guess.
"""

from __future__ import annotations

import re
from collections.abc import Iterable

from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.reading.beyond_doubt import is_beyond_doubt
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
    is_sure = best.trust >= SURE and is_beyond_doubt(best.within or best.text, best.count, whole)
    is_assumed = not is_sure or any(_is_at_odds(best, other) for other in counted)
    return Portions(best.count.low, best.count.low, best.count.high, unit, whole, is_assumed, best.text)


def _is_at_odds(best: Stated, other: Stated) -> bool:
    """Return whether another place that is trusted as much tells another number, and not only what each eater has several of."""
    one, two = best.count, other.count
    if (
        one is None
        or two is None
        or other.trust < AT_ODDS
        or two.low < (2 if other.trust >= SURELY_AT_ODDS else LEAST_CUT)
    ):
        return False
    eaters_first = (one.kind == "person" or _SERVES.match(best.text) is not None) and two.low > one.high
    return not eaters_first and (two.low > one.high or two.high < one.low)


_SERVES = re.compile(r"serv|feeds|for\b", re.I)
# How far a place must be trusted for its number to cast doubt on another, and a small one [share] (judgement).
AT_ODDS, SURELY_AT_ODDS = 0.8, 0.9
# Fewer pieces that are trusted less are something of the work: "divide in two" [1] (judgement).
LEAST_CUT = 4
