"""Amounts of food that only the method names: "dust with 2 tbsp icing sugar"."""

from __future__ import annotations

import re

from sun_crumb.core.quantities.measures import units
from sun_crumb.core.reading.amounts import read_amount

_NUMBER = re.compile(
    r"(?<![\w.,/°½⅓⅔¼¾⅛-])(?:\d|[½⅓⅔¼¾⅛]|\b(?:a|an|one|two|three)\s+(?=(?:\w+\s+)?(?:tsp|tbsp|teaspoon|tablespoon|cup|pinch|handful)))",
    re.I,
)
_END = re.compile(
    r"[,.;:()\[\]–—]|\b(?:and|with|to|into|in|until|till|over|on|onto|for|then|or|from|at|by|plus|per|each|while|if|as|"
    r"is|are|before|after|apart|around|between|beaten|through|together)\b",
    re.I,
)
# Words that refer back to the list, or to the tin, not to one more food.
_BACK = re.compile(
    r"\b(?:remaining|reserved|rest|other|half|more|extra|the|this|that|these|those|your|our|at)\s*$", re.I
)
_TIN = re.compile(
    r"(?:\b(?:greas\w*|oil(?:ed|ing)|butter(?:ed|ing)|line|lining|roll\w*|cut\w*|slic\w*|divid\w*|pip\w*|chop\w*)\b|(?:^|[.;,:]\s*|\band\s+)(?:oil|butter)\b)[^.;,]*$",
    re.I,
)
# "2 tablespoons of batter": what is made here, and no food.
_IN_THE_MAKING = frozenset(
    {
        "batter",
        "dough",
        "mixture",
        "mix",
        "filling",
        "topping",
        "pastry",
        "frosting",
        "icing",
        "glaze",
        "custard",
        "syrup",
    }
)
MOST_WORDS = 4
MOST_MENTIONS = 30
MOST_TRIED = 60
LONGEST = 90


def mentions(step: str) -> list[str]:
    """Return the statements of an amount and a food in one step, as an ingredient line would say them.

    What the words around an amount send back to the list ("the remaining 50 g sugar") or to the tin ("grease with 1 tsp
    oil") is left out; so are times, temperatures and sizes, which name no food.

    Examples
    --------
    >>> mentions("Cool for 10 minutes, then dust with 2 tbsp icing sugar.")
    ['2 tbsp icing sugar']
    >>> mentions("Whisk in the remaining 50 g sugar and bake at 180 °C.")
    []
    """
    found: list[str] = []
    at = tried = 0
    while len(found) < MOST_MENTIONS and tried < MOST_TRIED and (start := _NUMBER.search(step, at)):
        window = step[start.start() : start.start() + LONGEST]
        amount = read_amount(window)
        at, tried = start.end(), tried + 1
        if amount is None:
            continue
        at = max(start.start() + amount[1], at)
        before = step[max(0, start.start() - 60) : start.start()]
        if _BACK.search(before) or _TIN.search(before):
            continue
        kind = units()[amount[0].unit].kind if amount[0].unit else "count"
        rest = re.sub(r"^\s*(?:well[- ])?beaten\s+", " ", window[amount[1] :])
        if kind not in ("mass", "volume", "pinch", "count") or re.match(
            r"\s*(?:[°º%]|min|hour|sec|cm|mm|inch|degree)", rest
        ):
            continue
        end = _END.search(rest)
        words = (rest[: end.start()] if end else rest).split()
        while words and words[0].lower() in ("of", "the", "your"):
            words = words[1:]
        if len(words) == 1 and words[0].lower() in _IN_THE_MAKING:
            continue
        if len(words) > 0 and not any(c.isdigit() for c in "".join(words[:MOST_WORDS])):
            found.append(f"{amount[0].text} {' '.join(words[:MOST_WORDS])}")
    return found
