"""A kitchen scale that is none: noise, drift, a settling spring, the push of a poured stream, tare, ounces, a battery.

Told by lines: {"do": "put", "grams": 250}, {"do": "pour", "grams": 245, "seconds": 6}, {"do": "take", "grams": 18}, {"do": "clear"},
{"do": "tare"}, {"do": "unit", "unit": "oz"}, {"do": "battery", "share": 0.04}, {"do": "lose", "seconds": 5}, {"do": "garble", "lines": 5}.
"""

from __future__ import annotations

import argparse
import random
from typing import Any

from simulators.stand import Stand, main

OZ_G = 28.349523125
# How fast the spring settles [s], its noise and drift [g, g/min], what a stream pushes [g for each g/s], its step [g].
SETTLES_S, NOISE_G, DRIFT_G_MIN, PUSH_S, STEP_G = 0.18, 0.12, 0.25, 0.14, 0.1
MOST_G = 5000.0


class Scale(Stand):
    """A scale with a bowl that things are put and poured into."""

    title = "Simulated scale"
    knobs = (
        ("an empty bowl", {"do": "put", "grams": 412}),
        ("tare", {"do": "tare"}),
        ("pour 50 g", {"do": "pour", "grams": 50, "seconds": 4}),
        ("pour 245 g", {"do": "pour", "grams": 245, "seconds": 7}),
        ("an egg", {"do": "put", "grams": 51}),
        ("a spoonful", {"do": "put", "grams": 12}),
        ("1 g", {"do": "put", "grams": 1}),
        ("10 g", {"do": "put", "grams": 10}),
        ("take 10 g out", {"do": "take", "grams": 10}),
        ("clear", {"do": "clear"}),
        ("grams", {"do": "unit", "unit": "g"}),
        ("ounces", {"do": "unit", "unit": "oz"}),
        ("battery low", {"do": "battery", "share": 0.04}),
        ("lose it for 5 s", {"do": "lose", "seconds": 5}),
        ("send garbage", {"do": "garble", "lines": 8}),
    )

    def __init__(self, seed: int = 1) -> None:
        super().__init__()
        self.chance = random.Random(seed)
        self.load_g = self.shown_g = self.zero_g = self.drift_g = 0.0
        self.rate_g_s = self.left_g = 0.0
        self.still_s = 10.0
        self.unit, self.battery = "g", 0.86

    def tick(self, seconds: float) -> None:
        """Let the stream fall, the spring settle, the zero drift."""
        push = 0.0
        if self.left_g > 0:
            fallen = min(self.rate_g_s * seconds, self.left_g)
            self.left_g -= fallen
            self.load_g += fallen
            push = self.rate_g_s * PUSH_S * (1 + self.chance.gauss(0, 0.5))
        aim = min(self.load_g + push, MOST_G)
        moved = (aim - self.shown_g) * min(1.0, seconds / SETTLES_S)
        self.shown_g += moved
        self.still_s = 0.0 if abs(moved) > 0.5 or self.left_g > 0 else self.still_s + seconds
        self.drift_g += DRIFT_G_MIN * seconds / 60 * self.chance.uniform(-1, 1)
        self.battery = max(self.battery - seconds * 2e-6, 0.0)

    def told(self, word: dict[str, Any]) -> None:
        """Put on, pour, take off, tare."""
        grams = float(word.get("grams", 0))
        match word.get("do"):
            case "put":
                self.load_g += grams
            case "take":
                self.load_g = max(self.load_g - grams, 0.0)
            case "pour":
                self.left_g += grams
                self.rate_g_s = grams / max(float(word.get("seconds", 5)), 0.2)
            case "clear":
                self.load_g = self.left_g = 0.0
            case "tare":
                self.zero_g = self.shown_g + self.drift_g
            case "unit":
                self.unit = "oz" if word.get("unit") == "oz" else "g"
            case "battery":
                self.battery = min(max(float(word.get("share", 1)), 0.0), 1.0)

    def word(self) -> dict[str, Any]:
        """Return what the scale sends: in its unit, at its step."""
        grams = self.shown_g + self.drift_g - self.zero_g + self.chance.gauss(0, NOISE_G)
        value = round(grams / OZ_G, 2) if self.unit == "oz" else round(round(grams / STEP_G) * STEP_G, 1)
        return {
            "kind": "weight",
            "value": value,
            "unit": self.unit,
            "stable": self.still_s > 0.4,
            "battery": round(self.battery, 2),
        }

    def shown(self) -> str:
        """Return what its display shows."""
        told = self.word()
        return f"{told['value']} {told['unit']}{'' if told['stable'] else ' …'}"


def make(asked: argparse.Namespace) -> Stand:
    """Return a scale as it was asked for."""
    return Scale(asked.seed)


if __name__ == "__main__":
    main(make, 8721, 8722, __doc__ or "")
