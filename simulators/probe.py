"""A thermometer that is none: in a cake that warms in an oven, in a syrup that boils down, in the air of a kitchen.

A cake's centre follows the oven by Newton's law and halts near boiling, where its water takes the heat; a syrup's boiling point rises as its
water goes. Told by lines: {"do": "cake", "oven_c": 175, "minutes": 40}, {"do": "syrup", "sugar_g": 300, "water_g": 100, "watts": 900}, {"do": "air"},
{"do": "unit", "unit": "F"}, {"do": "battery", "share": 0.04}, {"do": "lose", "seconds": 5}, {"do": "garble", "lines": 5}.
"""

from __future__ import annotations

import argparse
import itertools
import random
from math import exp
from typing import Any

from simulators.stand import Stand, main

ROOM_C, CRUMB_HALTS_C = 21.0, 98.0
# Sugar's share of a syrup, and where it boils [°C] (confectioners' tables, from memory).
STAGES = (
    (0.0, 100.0),
    (0.6, 103.0),
    (0.75, 107.0),
    (0.8, 111.0),
    (0.85, 116.0),
    (0.9, 127.0),
    (0.95, 140.0),
    (1.0, 160.0),
)
# Heat that a gram takes [J/(g K)] and that a gram of water takes away [J/g]; the probe's own lag [s] and noise [K].
SYRUP_J, VAPOUR_J, LAG_S, NOISE_C = 2.6, 2257.0, 2.0, 0.15


def boiling_c(sugar_g: float, water_g: float) -> float:
    """Return where a sugar syrup boils [°C]: straight lines between the confectioner's stages.

    >>> round(boiling_c(85, 15)), round(boiling_c(0, 100))
    (116, 100)
    """
    share = sugar_g / max(sugar_g + water_g, 1e-9)
    for (low, from_c), (high, to_c) in itertools.pairwise(STAGES):
        if share <= high:
            return from_c + (to_c - from_c) * (share - low) / (high - low)
    return STAGES[-1][1]


class Probe(Stand):
    """A thermometer and what it is stuck into."""

    title = "Simulated probe"
    every_s = 0.2
    knobs = (
        ("in a cake, oven at 175 °C", {"do": "cake", "oven_c": 175, "minutes": 40}),
        ("in a syrup on the hob", {"do": "syrup", "sugar_g": 300, "water_g": 100, "watts": 900}),
        ("in the air", {"do": "air"}),
        ("°C", {"do": "unit", "unit": "C"}),
        ("°F", {"do": "unit", "unit": "F"}),
        ("battery low", {"do": "battery", "share": 0.04}),
        ("lose it for 5 s", {"do": "lose", "seconds": 5}),
        ("send garbage", {"do": "garble", "lines": 8}),
    )

    def __init__(self, seed: int = 1, faster: float = 1.0) -> None:
        super().__init__()
        self.chance, self.faster = random.Random(seed), faster
        self.what, self.true_c, self.told_c = "air", ROOM_C, ROOM_C
        self.oven_c, self.tau_s = 175.0, 1200.0
        self.sugar_g, self.water_g, self.watts = 300.0, 100.0, 900.0
        self.unit, self.battery = "C", 0.74

    def tick(self, seconds: float) -> None:
        """Warm what it is in, and let the probe follow."""
        seconds *= self.faster
        if self.what == "cake":
            slower = 1.0 if self.true_c < CRUMB_HALTS_C - 4 else 0.06
            self.true_c += slower * (self.oven_c - self.true_c) * (1 - exp(-seconds / self.tau_s))
        elif self.what == "syrup":
            boils = boiling_c(self.sugar_g, self.water_g)
            if self.true_c < boils - 0.05:
                self.true_c = min(boils, self.true_c + self.watts * seconds / (SYRUP_J * (self.sugar_g + self.water_g)))
            else:
                self.water_g = max(self.water_g - self.watts * seconds / VAPOUR_J, 0.5)
                self.true_c = boiling_c(self.sugar_g, self.water_g)
        else:
            self.true_c += (ROOM_C - self.true_c) * (1 - exp(-seconds / 20))
        self.told_c += (self.true_c - self.told_c) * (1 - exp(-seconds / LAG_S))
        self.battery = max(self.battery - seconds * 1e-6, 0.0)

    def told(self, word: dict[str, Any]) -> None:
        """Stick it into something else."""
        match word.get("do"):
            case "cake":
                self.what, self.true_c = "cake", ROOM_C
                self.oven_c = float(word.get("oven_c", 175))
                # Near its halt at the time that it is to be done.
                self.tau_s = 60 * float(word.get("minutes", 40)) * 0.52
            case "syrup":
                self.what, self.true_c = "syrup", ROOM_C
                self.sugar_g = max(float(word.get("sugar_g", 300)), 1.0)
                self.water_g = max(float(word.get("water_g", 100)), 1.0)
                self.watts = max(float(word.get("watts", 900)), 1.0)
            case "air":
                self.what = "air"
            case "unit":
                self.unit = "F" if word.get("unit") == "F" else "C"
            case "battery":
                self.battery = min(max(float(word.get("share", 1)), 0.0), 1.0)

    def word(self) -> dict[str, Any]:
        """Return what the probe sends, in its unit."""
        celsius = self.told_c + self.chance.gauss(0, NOISE_C)
        value = celsius * 1.8 + 32 if self.unit == "F" else celsius
        return {"kind": "heat", "value": round(value, 1), "unit": self.unit, "battery": round(self.battery, 2)}

    def shown(self) -> str:
        """Return what its display shows."""
        told = self.word()
        return f"{told['value']} °{told['unit']}"


def make(asked: argparse.Namespace) -> Stand:
    """Return a probe as it was asked for."""
    return Probe(asked.seed, asked.faster)


if __name__ == "__main__":
    main(make, 8723, 8724, __doc__ or "")
