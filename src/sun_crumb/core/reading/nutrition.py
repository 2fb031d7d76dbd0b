"""Figures of nutrition in a recipe's text, a table or one line of them: no foods."""

from __future__ import annotations

import re
from collections.abc import Sequence

from sun_crumb.core.reading.physical import Statement

# A line of a table of nutrition, as labels and pages have it.
_NUTRIENT = re.compile(
    r"^\W*(?:per\s+\w+\s*:?|calories|energy|kcal|(?:total |added |of which )?(?:sugars?|fats?)|saturate[sd](?:\s+fat)?|(?:total\s+)?carb(?:ohydrate)?s?|fib(?:re|er)|protein|"
    r"sodium|salt|cholesterol|serving size)\s*[:=]?\s*\d+(?:[.,]\d+)?\s*(?:k?cal|kj|m?g|%)?\W*$",
    re.I,
)


# A list tells these too; so many lines on either side another figure tells which it is [1] (judgement).
_ALSO_FOOD = re.compile(r"\W*(?:sugars?|salt|fat)\b", re.I)
NEAR = 4
# What introduces figures of nutrition on one line, and a figure as it then stands there: "120 kcal", "8 g fat".
_NUTRITION_SAID = re.compile(
    r"\b(?:nutrition\w*|per (?:serving|portion|slice|piece|biscuit|cookie|muffin|bar|square|cupcake|scone|bun|ball|brownie|pancake|each))\b[^.]{0,40}?:?\s*$",
    re.I,
)
_FIGURE = re.compile(
    r"^\W*\d+(?:[.,]\d+)?\s*(?:k?cals?|kj|calories|m?g)\b\s*(?:of\s+)?(?:energy|(?:total |added |saturated )?(?:sugars?|fats?)|saturates|carb(?:ohydrate)?s?|fib(?:re|er)|protein|sodium|salt)?\W*$",
    re.I,
)


def take_out_nutrition(found: Sequence[Statement], own: list[set[str]]) -> None:
    """Mark the lines of a table of nutrition, two or more together or under its heading, as what they are: no foods."""
    is_said = False
    for n in range(1, len(found)):
        is_said = bool(_FIGURE.match(found[n].text)) and (is_said or bool(_NUTRITION_SAID.search(found[n - 1].text)))
        if is_said:
            own[n] = {"junk_word", "short"}
            continue
        near = found[max(n - NEAR, 0) : n + NEAR + 1]
        if not any(_NUTRIENT.match(s.text) and not _ALSO_FOOD.match(s.text) for s in near):
            continue  # "sugar 60" and "salt 10", among flour and eggs
        if _NUTRIENT.match(found[n].text) and (
            _NUTRIENT.match(found[n - 1].text)
            or "heading_notes" in own[n - 1]
            or (n + 1 < len(found) and _NUTRIENT.match(found[n + 1].text))
        ):
            own[n] = {"junk_word", "short"}
