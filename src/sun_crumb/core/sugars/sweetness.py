"""How sweet a mixture tastes, as the sucrose that would taste the same."""

from __future__ import annotations

from collections.abc import Iterable
from functools import cache

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.pantry.ingredient import Composition
from sun_crumb.core.reference import constant

BULK_SWEETENERS = (
    "sucrose",
    "glucose",
    "fructose",
    "lactose",
    "maltose",
    "galactose",
    "erythritol",
    "xylitol",
    "sorbitol",
    "maltitol",
    "allulose",
    "inulin",
)


@cache
def _factors() -> tuple[tuple[str, float], ...]:
    return tuple((f"{name}_g", constant(f"sweet_{name}")) for name in BULK_SWEETENERS)


@cache
def linear_sweetness(composition: Composition) -> float:
    """Return the sucrose equivalent of 100 g, intense sweeteners left out [g].

    Additive in the sugars and polyols; ignores synergy.
    """
    return composition.sweetness_factor * float(
        sum(getattr(composition, field) * factor for field, factor in _factors())
    )


def intense_response(milligrams_per_litre: float) -> float:
    """Return how sweet a solution of rebaudioside A tastes, in per cent sucrose.

    ``R = 10 C / (200 + C)``: it never passes 10 % sucrose, however much is put in.

    Parameters
    ----------
    milligrams_per_litre
        Concentration in the mouth, finite, >= 0 [mg/L]

    References
    ----------
    constants.csv, reb_a_maximum and reb_a_half (a published fit, from memory)

    Examples
    --------
    >>> intense_response(200.0)
    5.0
    """
    if not 0 <= milligrams_per_litre < float("inf"):
        raise OutOfDomainError("a concentration is finite and not negative", field="concentration")
    top, half = constant("reb_a_maximum"), constant("reb_a_half")
    return top * milligrams_per_litre / (half + milligrams_per_litre)


def intense_equivalent(glycosides_g: float, batter_g: float) -> float:
    """Return the sucrose that tastes as sweet as *glycosides_g* of stevia or monk fruit in *batter_g* of batter [g].

    The batter is diluted in the mouth (constants.csv, mouth_dilution) and taken as 1 g/mL.

    Examples
    --------
    >>> 198 < intense_equivalent(2.77, 850.0) < 202
    True
    """
    if glycosides_g <= 0 or batter_g <= 0:
        return 0.0
    litres = batter_g / 1000 * constant("mouth_dilution")
    return intense_response(glycosides_g * 1000 / litres) / 100 * litres * 1000


def intense_dose(sucrose_g: float, batter_g: float) -> float:
    """Return the glycosides that taste as sweet as *sucrose_g* in *batter_g*; infinite beyond the ceiling [g].

    Parameters
    ----------
    sucrose_g
        Sucrose to match, >= 0 [g]
    batter_g
        The batter that holds it, > 0 [g]

    References
    ----------
    constants.csv, reb_a_maximum, reb_a_half, mouth_dilution

    Examples
    --------
    >>> round(intense_equivalent(intense_dose(60.0, 850.0), 850.0), 6)
    60.0
    """
    litres = batter_g / 1000 * constant("mouth_dilution")
    response = sucrose_g / (litres * 10)
    top, half = constant("reb_a_maximum"), constant("reb_a_half")
    if response >= top:
        return float("inf")
    return half * response / (top - response) * litres / 1000


def glycosides_like_sugar(composition: Composition, cup_g: float) -> float:
    """Return the glycosides [g] that a cup of *composition* lacks to sweeten 850 g of batter like 200 g of sugar."""
    missing = constant("cup_for_cup_sugar") - linear_sweetness(composition) * cup_g / 100
    return intense_dose(missing, constant("cup_for_cup_batter")) if missing > 0 else 0.0


def sucrose_equivalent(parts: Iterable[tuple[Composition, float]]) -> float:
    """Return the mass of sucrose that tastes as sweet as a mixture [g].

    Parameters
    ----------
    parts
        Compositions per 100 g, and how many grams of each, >= 0.

    Notes
    -----
    Additive but for intense sweeteners, which saturate over the whole; ignores synergy.

    References
    ----------
    relative_sweetness.csv, constants.csv

    Examples
    --------
    >>> sucrose_equivalent([])
    0.0
    """
    linear = glycosides = mass = 0.0
    for composition, grams in parts:
        linear += linear_sweetness(composition) * grams / 100
        glycosides += composition.sweet_glycosides_g * grams / 100
        mass += grams
    return linear + intense_equivalent(glycosides, mass)


def grams_as_sweet(composition: Composition, sucrose_g: float, batter_g: float) -> float | None:
    """Return the grams of *composition* that taste as sweet as *sucrose_g* in *batter_g*, or None beyond its reach.

    Solved by bisection, since intense sweetness saturates; nothing above five times the sugar's weight is sensible.

    Examples
    --------
    >>> from sun_crumb.core.pantry import shipped_pantry
    >>> round(grams_as_sweet(shipped_pantry()["honey"].per_100g, 100.0, 850.0))
    130
    """

    def sweet(grams: float) -> float:
        intense = intense_equivalent(composition.sweet_glycosides_g * grams / 100, batter_g)
        return linear_sweetness(composition) * grams / 100 + intense

    low, high = 0.0, 5 * sucrose_g
    if sweet(high) < sucrose_g:
        return None
    for _ in range(60):
        middle = (low + high) / 2
        low, high = (middle, high) if sweet(middle) < sucrose_g else (low, middle)
    return high
