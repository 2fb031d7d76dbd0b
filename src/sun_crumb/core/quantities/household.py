"""Amounts as a kitchen measures them: cup fractions, spoons, pieces."""

from __future__ import annotations

from dataclasses import dataclass
from fractions import Fraction
from math import ceil, floor

GLYPHS = {
    0.125: "⅛",
    0.25: "¼",
    1 / 3: "⅓",
    0.375: "⅜",
    0.5: "½",
    0.625: "⅝",
    2 / 3: "⅔",
    0.75: "¾",
    0.875: "⅞",
}
_CUPS = (1.0, 0.75, 2 / 3, 0.5, 1 / 3, 0.25)


def fraction_text(value: float) -> str:
    """Return a number with kitchen fractions: 1.5 -> 1½, 0.33 -> ⅓, 2 -> 2; others with one decimal.

    Examples
    --------
    >>> fraction_text(1.5)
    '1½'
    """
    whole = floor(value + 1e-9)
    rest = value - whole
    if rest < 0.02:
        return str(whole)
    for size, glyph in GLYPHS.items():
        if abs(rest - size) < 0.02:
            return f"{whole or ''}{glyph}"
    return f"{value:.1f}".rstrip("0").rstrip(".")


@dataclass(frozen=True, slots=True)
class SpoonWeights:
    """What one cup, tablespoon and teaspoon of an ingredient weigh [g], by the user's cup standard."""

    cup_g: float
    tablespoon_g: float
    teaspoon_g: float

    def grid(self, grams: float, *, is_strong: bool = False) -> float:
        """Return the step [g] to which an amount near *grams* is rounded: ⅛ tsp, ½ tsp, ½ tbsp or 1 tbsp.

        Of what *is_strong* (a pinch sweetens a bowl) a thirty-second of a teaspoon counts: the smallest spoon sold.
        """
        if is_strong and grams < 0.24 * self.teaspoon_g:
            return self.teaspoon_g / 32
        if grams < 1.5 * self.teaspoon_g:
            return self.teaspoon_g / 8 if grams < self.teaspoon_g / 2 else self.teaspoon_g / 4
        if grams < 2 * self.tablespoon_g:
            return self.teaspoon_g / 2
        if grams < self.cup_g / 2:
            return self.tablespoon_g / 2
        return self.tablespoon_g


def spoon_text(grams: float, weights: SpoonWeights, *, is_strong: bool = False) -> str:
    """Return *grams* in cups and spoons: as few fillings as come within 2 %, else the nearest half tablespoon.

    Examples
    --------
    >>> spoon_text(206, SpoonWeights(245, 15.3, 5.1))
    '¾ cup + 1½ tbsp'
    """
    if grams < 0.95 * weights.tablespoon_g:
        spoons = grams / weights.teaspoon_g
        if is_strong and spoons < 0.24:
            return f"{Fraction(max(round(spoons * 32), 1), 32)} tsp"
        if spoons < 0.06:
            return "a pinch"
        step = 8 if spoons < 0.9 else 4
        return f"{fraction_text(max(round(spoons * step), 1) / step)} tsp"
    cups = grams / weights.cup_g
    best: tuple[float, str] | None = None
    wholes = floor(cups + 0.02)
    for part in (0.0, *_CUPS[1:]):
        whole_part = wholes + part
        rest = (cups - whole_part) * weights.cup_g
        scoops = wholes + (part > 0) if whole_part else 0
        if whole_part and abs(rest) <= 0.02 * grams:
            text, cost = _cups(whole_part), float(scoops)
        elif rest > 0:
            tablespoons = round(rest / weights.tablespoon_g * 2) / 2
            error = abs(tablespoons * weights.tablespoon_g - rest) / grams
            if not tablespoons or (whole_part and tablespoons > 5):
                continue
            text = f"{fraction_text(tablespoons)} tbsp"
            # Every filling of a cup or spoon counts, half a spoon as one, and a second measure for itself.
            cost = scoops + ceil(tablespoons) + error * 50
            if whole_part:
                text, cost = f"{_cups(whole_part)} + {text}", cost + 0.5
        else:
            continue
        if best is None or cost < best[0]:
            best = (cost, text)
    return best[1] if best else f"{fraction_text(round(grams / weights.tablespoon_g * 2) / 2)} tbsp"


def _cups(value: float) -> str:
    return f"{fraction_text(value)} cup{'s' if value > 1 else ''}"


def grams_text(grams: float) -> str:
    """Return a weight as a scale shows it: tenths below 10 g, whole grams above.

    Examples
    --------
    >>> grams_text(4.62), grams_text(212.4)
    ('4.6 g', '212 g')
    """
    if grams < 9.95:
        return f"{grams:.1f}".removesuffix(".0") + " g"
    return f"{floor(grams + 0.5):d} g"


def percent(value: float) -> str:
    """Return a deviation as a signed whole per cent, with a true minus."""
    text = f"{100 * value:+.0f} %"
    return text.replace("-", "−").replace("+0 %", "0 %").replace("−0 %", "0 %")
