"""The lines of a recipe as its method speaks of them."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence

from sun_crumb.core.method.records import MethodLine
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.reading import Reading
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.listed_under import stages_of
from sun_crumb.core.reading.several import split_line, statement_of


def lines_of_reading(reading: Reading, pantry: Pantry) -> tuple[MethodLine, ...]:
    """Return the foods of a reading, weighed or still asked, with the stage that each is listed under."""
    found: list[MethodLine] = []
    for line, stage in zip(reading.lines, stages_of(reading), strict=True):
        if line.role == "food" and line.status in ("ok", "ask", "conflict"):
            food = pantry[line.ingredient] if line.ingredient else None
            found.append(
                MethodLine(
                    line.text, line.name or (food.name if food else line.text), line.component, food, line.grams, stage
                )
            )
    return tuple(found)


def lines_of_foods(foods: Iterable[tuple[str, str, Ingredient, float, str]]) -> tuple[MethodLine, ...]:
    """Return weighed lines as a method speaks of them: each by its text, component, food, weight [g] and the stage it is listed under."""
    rows = list(foods)
    texts = [row[0] for row in rows]
    return tuple(
        MethodLine(text, _name(n, texts, food), component, food, grams, stage)
        for n, (text, component, food, grams, stage) in enumerate(rows)
    )


def own_name(lines: Sequence[MethodLine], at: int | None, key: str) -> str:
    """Return what the line at *at* calls its food in the recipe's own words, where the food with this *key* stands there still; else nothing."""
    line = lines[at] if at is not None else None
    if line is None or line.ingredient is None or line.ingredient.key != key:
        return ""
    words = line.name.lower().strip()
    return words if _PLAIN_NAME.fullmatch(words) else ""


# A name that a sentence may hold: some words, and no amount, bracket or choice.
_PLAIN_NAME = re.compile(r"(?!.*\b(?:or|and|of|such|about|for|to)\b)[^\W\d_][^\W\d_'-]*(?:[ -][^\W\d_'-]+){0,3}")


def _name(at: int, texts: Sequence[str], food: Ingredient) -> str:
    """Return what a line's own words call its food; the food's name where it is unclear which of them do, or where there are none."""
    text = texts[at]
    if not text.strip():
        return food.name
    if texts.count(text) > 1:
        return parse_line(statement_of(texts, at)).name or food.name
    # "zest of 1 orange" is orange zest in plain words.
    plain = split_line(text)
    return food.name if len(plain) > 1 else parse_line(plain[0]).name or food.name
