"""How the laws round what a panel says."""

from __future__ import annotations

from math import floor


def nearest(value: float, step: float) -> float:
    """Return *value* to the nearest *step*, halves up, as the laws do."""
    return float(floor(value / step + 0.5 + 1e-9) * step)


def us_energy(kcal: float) -> float:
    """Return energy by 21 CFR 101.9(c)(1): under 5 kcal none, to 50 by fives, above by tens.

    Examples
    --------
    >>> us_energy(4.9), us_energy(47.6), us_energy(124.9)
    (0.0, 50.0, 120.0)
    """
    if kcal < 5:
        return 0.0
    return nearest(kcal, 5 if kcal <= 50 else 10)


def us_fat(grams: float) -> float:
    """Return fat by 21 CFR 101.9(c)(2): under 0.5 g none, under 5 g by halves, above by grams.

    Examples
    --------
    >>> us_fat(0.49), us_fat(4.8), us_fat(7.4)
    (0.0, 5.0, 7.0)
    """
    if grams < 0.5:
        return 0.0
    return nearest(grams, 0.5 if grams < 5 else 1)


def us_grams(grams: float) -> str:
    """Return carbohydrate, fibre, sugars, added sugars, sugar alcohol or protein by 21 CFR 101.9(c)(6) and (7): by grams, under 1 g in words, under 0.5 g none.

    Examples
    --------
    >>> us_grams(0.4), us_grams(0.7), us_grams(1.5)
    ('0 g', 'less than 1 g', '2 g')
    """
    if grams < 0.5:
        return "0 g"
    return "less than 1 g" if grams < 1 else f"{nearest(grams, 1):.0f} g"


def us_percent(share: float) -> int:
    """Return a percentage of a daily value: to the nearest whole one, 21 CFR 101.9(c)(8)(iii) for fibre, fat and the like."""
    return int(nearest(100 * share, 1))


def eu_energy(value: float) -> float:
    """Return kJ or kcal by the guidance on Regulation (EU) 1169/2011: to the nearest whole one."""
    return nearest(value, 1)


def eu_grams(grams: float) -> str:
    """Return fat, carbohydrate, sugars, polyols, fibre or protein by that guidance: 10 g and more by grams, above 0.5 g by tenths, else none.

    Examples
    --------
    >>> eu_grams(12.5), eu_grams(3.04), eu_grams(0.5)
    ('13 g', '3 g', '0 g')
    """
    if grams <= 0.5:
        return "0 g"
    return f"{nearest(grams, 1):.0f} g" if grams >= 10 else f"{nearest(grams, 0.1):.1f}".removesuffix(".0") + " g"
