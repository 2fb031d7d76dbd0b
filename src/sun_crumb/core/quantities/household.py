"""Amounts as a kitchen measures them: cup fractions, spoons, pieces."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
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
    """Return *grams* in cups and spoons: as few fillings as come within 2 %, else what comes nearest.

    Examples
    --------
    >>> spoon_text(206, SpoonWeights(245, 15.3, 5.1))
    '¾ cup + 1½ tbsp'
    """
    return measured(grams, weights, is_strong=is_strong)[0]


# How far the words may lie from the grams where fewer fillings do, and how much each part of that counts as fillings.
NEAR_ENOUGH, ERROR_COUNTS = 0.022, 60.0
# Behind a cup nobody fills a half spoon gladly, nor more spoons than three, as four are a quarter cup [fillings] (judgement).
HALF_BEHIND_CUP, MANY_BEHIND_CUP, MOST_BEHIND_CUP = 0.5, 1.5, 3
# A thirty-second of a teaspoon is the smallest spoon sold; none holds seven of them, and nobody fills it beside another.
_STRONG = {1: "1/32", 2: "1/16", 4: "⅛", 6: "⅛ + 1/16", 8: "¼"}


def measured(grams: float, weights: SpoonWeights, *, is_strong: bool = False) -> tuple[str, float]:
    """Return *grams* in cups and spoons, and what these words weigh to the gram [g]."""
    if grams < 0.95 * weights.tablespoon_g:
        return _teaspoons(grams, weights, is_strong=is_strong)
    best: tuple[float, float, str, float] | None = None
    for filling in _fillings(grams, weights):
        text, weight, cost = filling
        error = abs(weight - grams) / grams
        rank = (0.0 if error <= NEAR_ENOUGH else error, cost + ERROR_COUNTS * error, text, weight)
        if best is None or rank < best:
            best = rank
    assert best is not None
    return best[2], best[3]


def _teaspoons(grams: float, weights: SpoonWeights, *, is_strong: bool) -> tuple[str, float]:
    spoons = grams / weights.teaspoon_g
    if is_strong and spoons < 0.24:
        parts = min(_STRONG, key=lambda n: abs(n / 32 - spoons))
        return f"{_STRONG[parts]} tsp", parts / 32 * weights.teaspoon_g
    if spoons < 0.06:
        return "a pinch", grams
    step = 8 if spoons < 0.9 else 4
    count = max(round(spoons * step), 1) / step
    return f"{fraction_text(count)} tsp", count * weights.teaspoon_g


def _fillings(grams: float, weights: SpoonWeights) -> Iterator[tuple[str, float, float]]:
    """Give ways to measure an amount of a tablespoon or more: words, what they weigh [g], and how many fillings they are."""
    wholes = floor(grams / weights.cup_g + 0.02)
    for cups in dict.fromkeys((0.0, *(wholes + part for part in (0.0, *_CUPS[1:])))):
        rest = grams - cups * weights.cup_g
        if rest < -NEAR_ENOUGH * grams:
            continue
        scoops = floor(cups + 1e-9) + (cups % 1 > 0.01)
        if cups and abs(rest) <= 0.02 * grams:
            yield _cups(cups), cups * weights.cup_g, float(scoops)
        near = floor(rest / weights.tablespoon_g * 2)
        for half_spoons in {near, near + 1}:
            if half_spoons <= 0 or (cups and half_spoons > 10):
                continue
            spoons = half_spoons / 2
            weight = cups * weights.cup_g + spoons * weights.tablespoon_g
            text = f"{fraction_text(spoons)} tbsp"
            # Every filling of a cup or spoon counts, half a spoon as one, and a second measure for itself.
            yield (
                f"{_cups(cups)} + {text}" if cups else text,
                weight,
                scoops + ceil(spoons) + (_awkward(spoons) if cups else 0.0),
            )
        if cups and 0 < (teaspoons := round(rest / weights.teaspoon_g)) < LEAST_TABLESPOON_TSP:
            weight = cups * weights.cup_g + teaspoons * weights.teaspoon_g
            yield f"{_cups(cups)} + {teaspoons} tsp", weight, scoops + teaspoons + SPOON_OF_ANOTHER_SIZE
        if not cups and rest < 4 * weights.tablespoon_g:
            whole = floor(rest / weights.tablespoon_g + 0.02)
            left = round((rest - whole * weights.tablespoon_g) / weights.teaspoon_g * 2) / 2
            if whole and 0 < left < 3:
                weight = whole * weights.tablespoon_g + left * weights.teaspoon_g
                yield f"{whole} tbsp + {fraction_text(left)} tsp", weight, whole + ceil(left) + 0.5


# Three teaspoons are a tablespoon.
LEAST_TABLESPOON_TSP = 3
SPOON_OF_ANOTHER_SIZE = 0.8


def _awkward(spoons: float) -> float:
    """Return what so many tablespoons behind a cup count as besides [fillings]."""
    half = HALF_BEHIND_CUP if spoons % 1 else 0.0
    return 0.5 + half + (MANY_BEHIND_CUP if spoons > MOST_BEHIND_CUP else 0.0)


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
