"""How much of a written recipe a reading got right, feature by feature."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.reading import Reading
from tests.support.writer import Truth

SLACK_G = 0.6


@dataclass(frozen=True)
class Score:
    """What was read rightly of one recipe: food lines, and each feature; whether a wrong number of portions was stated as sure."""

    foods: int
    foods_right: int
    title: bool
    portions: bool
    components: bool
    oven: bool
    grams: bool
    is_surely_wrong: bool

    @property
    def is_whole(self) -> bool:
        """Whether all of it was read rightly."""
        return self.title and self.portions and self.components and self.oven and self.grams


def score(reading: Reading, truth: Truth, trifle_g: float = 0.0) -> Score:
    """Return how a reading compares with what was written; what is asked counts as not read, and trifles need not be told."""
    held: dict[str, float] = {}
    for line in reading.lines:
        if line.status in ("ok", "conflict") and line.ingredient and line.grams is not None:
            held[line.ingredient] = held.get(line.ingredient, 0.0) + line.grams
    right = [
        key for key, (low, high) in truth.foods.items() if key in held and low - SLACK_G <= held[key] <= high + SLACK_G
    ]
    told = reading.portions
    sure = told.count if told and not told.is_assumed else None
    oven = None if reading.oven is None else (reading.oven.temperature_c, reading.oven.is_fan)
    counted = {line.component for line in reading.lines if line.status in ("ok", "ask", "conflict")}
    return Score(
        foods=len(truth.foods),
        foods_right=len(right),
        title=reading.title == truth.title,
        portions=sure == truth.portions,
        components=len(counted) == truth.components,
        oven=oven == truth.oven,
        grams=len(right) == len(truth.foods)
        and all(key in truth.foods or grams <= trifle_g for key, grams in held.items()),
        is_surely_wrong=sure is not None and sure != truth.portions,
    )
