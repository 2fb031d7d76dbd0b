"""A recipe that measures by its own pot: "1 pot (125 g) yoghurt", then "2 pots sugar"."""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass

from sun_crumb.core.quantities.numbers import read_quantity

_HOLDER = r"(?P<holder>(?:yogh?urt\s+)?(?:pot|tub|carton|container|beaker))"
# What fills the pot weighs about what water does: yoghurt, cream, milk.
_FILLED = re.compile(
    rf"^\W*(?:1|an?|one)\s+(?P<d>\d{{2,4}})\s*(?:g|ml)\s+(?P<holder3>pot|tub|carton|container)\s+(?:of\s+)?[^.]*\b(?:yogh?urt|cream|milk|quark|kefir|buttermilk)\b"
    rf"|^\W*(?:1|an?|one)\s+(?:\w+\s+)?{_HOLDER}\s*(?:\(\s*(?P<a>\d{{2,4}})\s*(?:g|ml)\s*\)|of\s+(?P<b>\d{{2,4}})\s*(?:g|ml)\b)[^.]*\b(?:yogh?urt|cream|milk|quark|kefir|buttermilk)\b"
    # "1 pot plain yoghurt (125 g)"
    rf"|^\W*(?:1|an?|one)\s+(?P<holder2>pot|tub|carton|container)\b[^.(\d]*\b(?:yogh?urt|cream|milk|quark|kefir|buttermilk)\b[^.(\d]*\(\s*(?P<c>\d{{2,4}})\s*(?:g|ml)\s*\)",
    re.I,
)
_COUNTED = re.compile(
    rf"^(?P<count>\d+(?:\s*[½¼¾]|\s+\d/\d|[.,]\d+)?|[½¼¾]|\d/\d|half an?|an?|one|two|three)\s+{_HOLDER}s?\s+(?:of\s+)?(?=[^\W\d])",
    re.I,
)


@dataclass(frozen=True, slots=True)
class OwnMeasure:
    """The pot that a recipe measures by: its word and what it holds [ml]."""

    holder: str
    ml: float

    def in_ml(self, statement: str) -> str:
        """Return an ingredient statement with pots told in ml, or as it is.

        Examples
        --------
        >>> OwnMeasure("pot", 125).in_ml("2 pots sugar")
        '250 ml sugar'
        """
        found = _COUNTED.match(statement)
        if not found or found["holder"].lower().split()[-1] != self.holder:
            return statement
        count = read_quantity(re.sub(r"^half an?$", "½", found["count"], flags=re.I))
        return f"{(count.low + count.high) / 2 * self.ml:g} ml {statement[found.end() :]}" if count else statement


def own_measure(texts: Iterable[str]) -> OwnMeasure | None:
    """Return the pot that a recipe measures by, by the line that fills it with something wet; None where it has none."""
    for text in texts:
        if found := _FILLED.match(text):
            holder = (found["holder"] or found["holder2"] or found["holder3"]).lower().split()[-1]
            return OwnMeasure(holder, float(found["a"] or found["b"] or found["c"] or found["d"]))
    return None
