"""A recipe that measures by its own pot: "1 pot (125 g) yoghurt", then "2 pots sugar"."""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass

from sun_crumb.core.quantities.numbers import read_quantity

_HOLDER = r"(?P<holder>(?:yogh?urt\s+)?(?:pot|tub|carton|container|beaker|becher|vasett[oi]|vasito|vaso|medida))"
_WET = r"(?:yogh?urt|cream|milk|quark|kefir|buttermilk|yaourt|joghurt|yogur|sahne|schmand|panna|crème)"
# What fills the pot weighs about what water does: yoghurt, cream, milk.
_FILLED = re.compile(
    rf"^\W*(?:1|an?|one|une?|uno|eine?)\s+(?P<d>\d{{2,4}})\s*(?:g|ml)\s+(?P<holder3>pot|tub|carton|container|becher)\s+(?:of\s+)?[^.]*\b{_WET}\b"
    rf"|^\W*(?:1|an?|one|une?|uno|eine?)\s+(?:\w+\s+)?{_HOLDER}\s*(?:\(\s*(?P<a>\d{{2,4}})\s*(?:g|ml)\s*\)|of\s+(?P<b>\d{{2,4}})\s*(?:g|ml)\b)[^.]*\b{_WET}\b"
    # "1 pot plain yoghurt (125 g)"
    rf"|^\W*(?:1|an?|one|une?|uno|eine?)\s+(?P<holder2>pot|tub|carton|container|becher|vasetto|vasito)\b[^.(\d]*\b{_WET}\b[^.(\d]*\(\s*(?P<c>\d{{2,4}})\s*(?:g|ml)\s*\)"
    # "1 yogur natural (125 g)": its own pot, without a word for it
    r"|^\W*(?:1|une?|uno|eine?)\s+(?:yogur|yaourt|joghurt|yogh?urt)\b[^.(\d]*\(\s*(?P<e>\d{2,4})\s*(?:g|ml)\s*\)",
    re.I,
)
_COUNTED = re.compile(
    rf"^(?P<count>\d+(?:\s*[½¼¾]|\s+\d/\d|[.,]\d+)?|[½¼¾]|\d/\d|half an?|an?|one|un|une|uno|ein|eine|two|three)\s+{_HOLDER}s?\s+(?:(?:of|de|di)\s+|d['’]\s?)?(?=[^\W\d])",
    re.I,
)


# "1 yaourt nature (le pot sert de mesure)", over "2 pots de sucre"
_OF_NO_SIZE = re.compile(
    r"^\W*(?:1|un|ein|uno?)\s+(?:pot\s+(?:de\s+|of\s+)?|becher\s+|vasetto\s+di\s+)?(?P<food>(?:plain\s+|natural\s+)?(?:yaourt|yogurt|yogur|joghurt|yoghurt)\b[^.\d]*)$",
    re.I,
)
# What a pot of yoghurt holds [ml] (common practice), and how many foods it must measure where no pot is told [1].
POT_ML, LEAST_COUNTED = 125.0, 2


@dataclass(frozen=True, slots=True)
class OwnMeasure:
    """The pot that a recipe measures by: its word, empty for any, and what it holds [ml]."""

    holder: str
    ml: float

    def in_ml(self, statement: str) -> str:
        """Return an ingredient statement with pots told in ml, or as it is.

        Examples
        --------
        >>> OwnMeasure("pot", 125).in_ml("2 pots sugar")
        '250 ml sugar'
        """
        if unsaid := _OF_NO_SIZE.match(statement):
            return f"{self.ml:g} ml {unsaid['food']}"  # "1 yaourt nature": its pot is the measure
        found = _COUNTED.match(statement)
        if not found or (self.holder and _one(found["holder"]) != self.holder):
            return statement
        count = read_quantity(re.sub(r"^half an?$", "½", found["count"], flags=re.I))
        return f"{(count.low + count.high) / 2 * self.ml:g} ml {statement[found.end() :]}" if count else statement


def own_measure(texts: Iterable[str]) -> OwnMeasure | None:
    """Return the pot that a recipe measures by, by the line that fills it with something wet; None where it has none."""
    texts = list(texts)
    for text in texts:
        if found := _FILLED.match(text):
            holder = found["holder"] or found["holder2"] or found["holder3"] or ""
            held = next(found[one] for one in "abcde" if found[one])
            return OwnMeasure(_one(holder), float(held))
    counted = sum(_COUNTED.match(text) is not None for text in texts)
    is_unsaid = counted >= LEAST_COUNTED and any(map(_OF_NO_SIZE.match, texts))
    return OwnMeasure("", POT_ML) if is_unsaid else None


def _one(holder: str) -> str:
    """Return a holder's word in the singular: "yoghurt pot" as "pot", "vasetti" as "vasetto"."""
    word = holder.lower().split()[-1] if holder else ""
    return "vasetto" if word == "vasetti" else word
