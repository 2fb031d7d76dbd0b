"""Figures of a text that a machine has read off paper: "2OOg" is 200 g, "l/2 cup" half a cup."""

from __future__ import annotations

import re

# Letters that stand where a figure was: an O within figures, an l or I before another figure or alone before a nought.
_MIXED = re.compile(
    r"(?<![\w.,/])(?=[0-9OIl]{2,4}(?![0-9OIl]))(?=[OIl]*[0-9]|[Il][O0])[0-9OIl]+(?=(?:k?g|ml|cm|m?l|mins?|oz|lb|°?[CF])?(?![^\W_]))"
)
_FRACTION = re.compile(r"(?<![\w.,/])[Il]\s?/\s?(?=[2348](?!\d))")
_BEFORE_A_UNIT = re.compile(
    r"(?<![\w.,/'’-])[Il](?=\s+(?:tsps?|tbsps?|cups?|teaspoons?|tablespoons?|large|small|medium|eggs?|lemons?|pinch)\b)"
)
_LITRES = re.compile(r"\d+l")


def figures_again(row: str) -> str:
    """Return a line with the figures that were read as letters put right.

    Examples
    --------
    >>> figures_again("2OOg flour"), figures_again("lOO g icing sugar"), figures_again("l/2 tsp salt")
    ('200g flour', '100 g icing sugar', '1/2 tsp salt')
    >>> figures_again("1l milk"), figures_again("II. The filling")
    ('1l milk', 'II. The filling')
    """
    if not ("O" in row or "l" in row or "I" in row):
        return row
    told = _MIXED.sub(lambda found: _as_figures(found[0]), row)
    return _BEFORE_A_UNIT.sub("1", _FRACTION.sub("1/", told))


def _as_figures(token: str) -> str:
    if _LITRES.fullmatch(token):
        return token  # "1l milk"
    return token.replace("O", "0").replace("l", "1").replace("I", "1")
