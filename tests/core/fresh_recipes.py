"""Recipes in many hands: sets each written before it was read; docs/method.md tells how each came out at first.

They stand in fresh_recipes.txt as they were written, each behind a line of what it tells: portions, oven [°C] and whether it is a fan's, title, and what the
lines that are sure weigh, by component and food [g] ("-" where none is told): as read once all that was wrong had been mended, gone through by eye.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from pathlib import Path

Fresh = tuple[str, str, int | None, tuple[float, bool] | None, dict[str, float]]
# A text without a line's end at its own.
OPEN_END = "\n=nonl=\n"


def _recipes() -> Iterator[Fresh]:
    with Path(__file__).with_suffix(".txt").open(encoding="utf-8", newline="") as handle:
        parts = re.split(r"^===== (.*)\n", handle.read(), flags=re.M)[1:]
    for told, text in zip(parts[::2], parts[1::2], strict=True):
        count, oven, title, foods = told.split("\t")
        celsius, _, fan = oven.partition(" ")
        grams = (food.rsplit(" ", 1) for food in foods.split("; ") if food)
        yield (
            text.removesuffix(OPEN_END),
            title,
            None if count == "-" else int(count),
            None if oven == "-" else (float(celsius), fan == "fan"),
            {name: float(weight) for name, weight in grams},
        )


FRESH: tuple[Fresh, ...] = tuple(_recipes())
