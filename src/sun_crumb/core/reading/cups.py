"""Which country's cup a recipe means, from what stands beside its cups and from its words."""

from __future__ import annotations

import re

from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.measures import CupStandard, cup_standard, cup_standards, units
from sun_crumb.core.reading.one_amount import one_amount
from sun_crumb.core.reading.records import ParsedLine

_METRIC_WORDS = re.compile(
    r"\b(caster|castor|icing sugar|bicarb\w*|plain flour|self[- ]raising|maida|atta|jaggery|sooji|rava|dahi|"
    r"cornflour|desiccated|sultanas?|courgettes?|wholemeal|yoghurt|treacle|fan[- ]forced|thickened cream|"
    r"gas mark|gas \d|loaf tin|sr flour|besan|elaichi|suet|demerara|mark [1-9]|zest(?:ed)? and juice|litres?|grams?|\d+\s?ml|\d+\s?g)\b",
    re.I,
)
_CELSIUS = re.compile(r"\b\d{3}\s?°?\s?C\b(?![^\n]{0,12}\d{3}\s?°?\s?F\b)")
# A British word outweighs so many American ones, for its ounces and its Fahrenheit count as those [1] (judgement).
BRITISH_VOTES = 3
# The Celsius outweighs the ounces that both kitchens have [1] (judgement).
CELSIUS_VOTES = 2
# No American kitchen calls them so.
_BRITISH_WORDS = re.compile(
    r"\b(?:cast[eo]r sugar|treacle|self[- ]raising|s\.?\s?r\.?\s? flour|sultanas|golden syrup|demerara|bramleys?|double cream|cornflour|dbl cream|marg|knob|gas (?:mark )?\d|reg(?:ulo)? \d)\b",
    re.I,
)
_US_WORDS = re.compile(
    r"\b(all[- ]purpose|ap flour|confectioners'?|powdered sugar|cornstarch|baking soda|heavy cream|sticks?|"
    r"\d{3}\s*°?\s*F\b|ounces?|\d+\s?oz|\d+\s?lbs?|molasses|half[- ]and[- ]half|zucchini|kosher|granulated sugar|"
    r"semisweet|graham)\b",
    re.I,
)


def infer_cup(text: str, lines: list[tuple[ParsedLine, Ingredient | None]]) -> tuple[CupStandard, str]:
    """Return the cup standard that the recipe most likely means, and the reason in words.

    Millilitres beside a cup decide; then grams beside cups, where several agree; then the words of the country; then
    the US cup.
    """
    stated = _millilitres_beside(lines)
    if stated is not None:
        cup = min(cup_standards().values(), key=lambda c: abs(c.cup_ml - stated))
        if abs(cup.cup_ml / stated - 1) < 0.03:
            return cup, f"a cup is given as {stated:.0f} ml"
    votes = _grams_beside(lines)
    if votes:
        return votes
    metric, american = len(_said(_METRIC_WORDS, text)), len(_said(_US_WORDS, text))
    if not any(amount.unit == "cup" for line, _ in lines for amount in (*line.sums, *line.also)):
        metric += CELSIUS_VOTES * bool(
            _CELSIUS.search(text)
        )  # pints and pounds of who bakes by the Celsius are British
    metric += BRITISH_VOTES * bool(_BRITISH_WORDS.search(text))
    if metric > american:
        word = _METRIC_WORDS.search(text) or _CELSIUS.search(text)
        return cup_standard("metric"), f"words such as “{word[0] if word else ''}”"
    if american:
        word = _US_WORDS.search(text)
        return cup_standard("us"), f"words such as “{word[0] if word else ''}”"
    return cup_standard("us"), "nothing in the text says otherwise"


def _said(words: re.Pattern[str], text: str) -> set[str]:
    """Return the words of a country that a text says, each once: ten ounces say no more than one."""
    return {re.sub(r"\d+\s*", "", found[0].lower()) for found in words.finditer(text)}


def _millilitres_beside(lines: list[tuple[ParsedLine, Ingredient | None]]) -> float | None:
    for line, _ in lines:
        amounts = [*line.sums, *line.also]
        cups = [a for a in amounts if a.unit == "cup"]
        metric = [a for a in amounts if a.unit in ("ml", "dl", "cl", "l")]
        if len(cups) == 1 and len(metric) == 1:
            value = units()[metric[0].unit or "ml"].value
            assert value is not None
            per_cup = metric[0].middle * value / cups[0].middle
            if 225 <= per_cup <= 260:
                return per_cup
    return None


def _grams_beside(lines: list[tuple[ParsedLine, Ingredient | None]]) -> tuple[CupStandard, str] | None:
    """Let liquids and sugars whose grams stand beside their cups vote; flours pack too differently to tell."""
    errors = dict.fromkeys(("us", "metric"), 0.0)
    voters = 0
    for line, ingredient in lines:
        if ingredient is None or not ingredient.has_role("liquid", "sugar", "syrup"):
            continue
        cups = [a for a in (*line.sums, *line.also) if a.unit == "cup"]
        masses = [a for a in (*line.sums, *line.also) if a.unit in ("g", "kg")]
        if len(cups) != 1 or len(masses) != 1:
            continue
        grams = one_amount(masses[0], ingredient, cup_standard("us"))
        readings = {key: one_amount(cups[0], ingredient, cup_standard(key)) for key in errors}
        if grams and all(readings.values()) and 0.85 < grams / (readings["us"] or 1) < 1.18:
            voters += 1
            for key, value in readings.items():
                errors[key] += abs(grams / (value or 1) - 1)
    if not voters or abs(errors["us"] - errors["metric"]) < 0.02 * voters:
        return None
    best = min(errors, key=lambda k: errors[k])
    return cup_standard(best), f"grams beside {voters} of its cups fit the {cup_standard(best).name}"
