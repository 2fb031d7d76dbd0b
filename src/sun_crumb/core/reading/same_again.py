"""Foods of which there is as much as of the one before: "the same of sugar", "ditto sugar"."""

from __future__ import annotations

import re

from sun_crumb.core.quantities.measures import units
from sun_crumb.core.reading.records import Amount

_NOT_IT = r"(?!(?:the|it|that|this|these|those)\b)(?=[^\W\d_]{3})"
# What stands before the food's name.
SAME_AGAIN = re.compile(
    rf"(?:\b(?:the\s+)?(?:same|equal)(?:\s+(?:again|weight|amount|quantity|measure))?\s+of\s+|\b(?:ditto(?:\s+of)?|dto?\.)\s+"
    rf"|\bsame\s+(?:weight|amount|quantity)\s+){_NOT_IT}",
    re.I,
)


def is_measured(amount: Amount) -> bool:
    """Return whether an amount is weighed or measured, so that another food may have the same."""
    return amount.unit is not None and units()[amount.unit].kind in ("mass", "volume")
