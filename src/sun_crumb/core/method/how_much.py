"""How much of a line words take: a half, the rest, two spoons of it."""

from __future__ import annotations

import re

from sun_crumb.core.method.names import Names
from sun_crumb.core.method.said import Said
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.quantities.numbers import FRACTIONS
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.one_amount import one_amount
from sun_crumb.core.reading.records import Amount
from sun_crumb.core.reading.several import statement_of

FRACTION_BEFORE = re.compile(
    rf"(?:\b(?P<word>half|(?:an?|one|1)\s+(?:third|quarter)|(?:third|quarter)(?=\s+of\b)|two[\s-]thirds|three[\s-]quarters|(?P<num>\d)\s*/\s*(?P<den>\d))|(?P<glyph>[{''.join(FRACTIONS)}]))\s+(?:of\s+)?(?:the\s+|your\s+)?(?:[\w-]+\s+){{0,2}}?$",
    re.I,
)
# "mix with a teaspoon of baking powder"
_A_SPOON_OF = re.compile(
    r"\b(?P<amount>(?:half\s+an?|an?|one|two|three|four|five|six|the(?:\s+extra)?)\s+(?:teaspoons?|tablespoons?|tsps?|tbsps?|cups?))(?:fuls?)?\s+(?:of\s+)?(?:[\w-]+\s+){0,2}?$",
    re.I,
)
AMOUNT_BEFORE = re.compile(
    rf"(?P<amount>(?:\d|[{''.join(FRACTIONS)}])[^,;.()]{{0,18}}?)\s*(?:of\s+)?(?:the\s+|your\s+)?(?:[\w-]+\s+){{0,2}}?$",
    re.I,
)
# "all but 2 tbsp of the chips"
ALL_BUT = re.compile(r"\ball\s+but\s*(?:about\s+)?$", re.I)
_SHARES = {"half": 0.5, "third": 1 / 3, "quarter": 0.25, "two thirds": 2 / 3, "three quarters": 0.75}


def fraction_before(before: str) -> float:
    """Return the share that the words before a food tell ("half of the"), 0 where they tell none."""
    found = FRACTION_BEFORE.search(before)
    if not found or re.search(r"\b(?:other|second)\s+half", before, re.I):
        return 0.0
    if found["glyph"]:
        return FRACTIONS[found["glyph"]]
    if found["num"]:
        return int(found["num"]) / max(int(found["den"]), 1) if int(found["num"]) < int(found["den"]) else 0.0
    word = re.sub(r"[\s-]+", " ", re.sub(r"^(?:a|one|1)\s*", "", found["word"].lower())).strip()
    return _SHARES.get(word, 0.0)


def measured_before(before: str, amount: Amount | None) -> tuple[Amount, re.Match[str]] | None:
    """Return an amount with its unit and where it is said: "100 g", "a teaspoon of"; None where none is."""
    found = AMOUNT_BEFORE.search(before)
    if found and amount is not None and amount.unit is not None:
        return amount, found
    spoken = _A_SPOON_OF.search(before)
    read = read_amount(re.sub(r"^the\s+(?:extra\s+)?", "a ", spoken["amount"], flags=re.I)) if spoken else None
    return (read[0], spoken) if spoken and read else None


def amount_before(before: str) -> Amount | None:
    """Return the amount that the words before a food end with, or None."""
    found = AMOUNT_BEFORE.search(before)
    # The unit may stand where the pattern takes a word for the food's: "2 tbsp sugar".
    read = (read_amount(before[found.start("amount") :]) or read_amount(found["amount"])) if found else None
    if found and read and read[0].unit is not None:
        return read[0]
    if not found or read is None or (read[0].unit is None and found["amount"][read[1] :].strip()):
        return None
    return read[0]


def share_of(said: Said, names: Names, position: int) -> float | None:
    """Return the share of a line that an amount said of it is, or None where its weight or the amount's is not known."""
    share = _times(said, names, position)
    if said.is_all_but and share is not None:
        return max(1.0 - share, 0.0)
    return 1.0 if share is not None and share > 0.88 else share


def is_all_of(said: Said, names: Names, position: int) -> bool:
    """Return whether an amount said is just the line's: of two sugars the "2 tbsp sugar" is the one of 2 tbsp."""
    share = _times(said, names, position)
    return share is not None and 0.88 < share < 1 / 0.88


def _times(said: Said, names: Names, position: int) -> float | None:
    line = names.lines[position]
    if said.amount is None or line.ingredient is None or not line.grams:
        return None
    own = parse_line(statement_of([one.text for one in names.lines], position)).sums if line.text else ()
    if len(own) == 1 and own[0].unit == said.amount.unit and own[0].unit is not None and own[0].middle > 0:
        # "¾ cup" of a cup is three quarters, whatever a cup of it weighs.
        return said.amount.middle / own[0].middle
    grams = one_amount(said.amount, line.ingredient, cup_standard("us"))
    return None if grams is None else grams / line.grams
