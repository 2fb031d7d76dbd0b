"""How much of a dessert US law reckons eaten at once: the reference amount customarily consumed."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.reference import constant, table


@dataclass(frozen=True, slots=True)
class ReferenceAmount:
    """A reference amount [g] and the foods that the law names it for."""

    grams: float
    words: str


@cache
def _amounts() -> dict[str, ReferenceAmount]:
    rows = table("reference_amounts")
    return {key: ReferenceAmount(float(row["grams"]), row["words"]) for row in rows for key in row["families"].split()}


def reference_amount(kinds: Iterable[Sequence[str]]) -> ReferenceAmount:
    """Return the reference amount of a dessert by its components' families.

    Parameters
    ----------
    kinds
        For each component its family and what that is a kind of, the nearest first. The largest amount among them is taken, so that a claim
        that holds is not owed to a topping; where a family has none, the most that the law takes for any dessert.

    Examples
    --------
    >>> reference_amount([("crisp_cookie", "cookie")]).grams, reference_amount([("butter_cake",), ("frosting",)]).grams
    (30.0, 80.0)

    References
    ----------
    21 CFR 101.12(b), from memory of the table as amended in 2016; reference_amounts.csv
    """
    most = ReferenceAmount(constant("us_reference_amount_g"), "the most that the law takes for a dessert")
    found = [next((_amounts()[key] for key in kin if key in _amounts()), most) for kin in kinds]
    return max(found, key=lambda amount: amount.grams, default=most)
