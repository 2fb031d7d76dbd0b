"""Boiled sugar: stages by temperature, corrected for height and for what else is dissolved."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.kitchen.ovens import boiling_point_c
from sun_crumb.core.reference import table

CAUTION = "Boiling sugar burns deeper than water: long sleeves, no children near, a bowl of cold water at hand, and never taste it hot."


@dataclass(frozen=True, slots=True)
class Stage:
    """A stage of boiled sugar: from and to [°C], as the thermometer shows it here, and how a drop tells it."""

    key: str
    name: str
    low_c: float
    high_c: float
    words: str


@dataclass(frozen=True, slots=True)
class Boiled:
    """A stage here and now, the one asked for; the water's boiling point [°C]; cautions."""

    stage: Stage
    boiling_c: float
    low_f: int
    high_f: int
    words: tuple[str, ...]


def stages(altitude_m: float = 0.0, molar_factor: float = 1.0) -> tuple[Stage, ...]:
    """Return every stage as the thermometer shows it at a height, with so many times sucrose's molecules dissolved (Raoult's law, an estimate)."""
    if not 0.5 <= molar_factor <= 2.5:
        raise OutOfDomainError(f"{molar_factor:g} times the molecules of sugar is no syrup", field="molar_factor")
    water = boiling_point_c(altitude_m)
    return tuple(
        Stage(
            row["key"],
            row["name"],
            round(water + (float(row["low_c"]) - 100) * molar_factor, 1),
            round(water + (float(row["high_c"]) - 100) * molar_factor, 1),
            row["words"],
        )
        for row in table("candy_stages")
    )


def boiled(
    stage: str | None = None, temperature_c: float | None = None, altitude_m: float = 0.0, molar_factor: float = 1.0
) -> Boiled:
    """Return a stage by its name, or the one that a temperature is [°C], at a height.

    Raises
    ------
    UnknownChoiceError, OutOfDomainError
        There is no such stage, or the temperature is none of boiled sugar; names the field.

    References
    ----------
    candy_stages.csv
    """
    found = {s.key: s for s in stages(altitude_m, molar_factor)}
    if stage is not None:
        one = found[require_choice(stage.strip().lower().replace(" ", "_"), found, "stage")]
    elif temperature_c is not None:
        if not 90 <= temperature_c <= 200:
            raise OutOfDomainError(f"{temperature_c:g} °C is no stage of boiled sugar (90 to 200)", field="temperature")
        one = min(found.values(), key=lambda s: max(s.low_c - temperature_c, temperature_c - s.high_c, 0.0))
    else:
        raise OutOfDomainError("say a stage or a temperature", field="stage")
    water = boiling_point_c(altitude_m)
    words = [f"{one.name}: {one.low_c:.0f} to {one.high_c:.0f} °C here, {one.words}"]
    if altitude_m >= 100:
        words.append(
            f"at {altitude_m:.0f} m water boils at {water:.1f} °C: every stage lies {100 - water:.1f} °C lower"
        )
    words.append("off at the first smell of burning, whatever the thermometer says")
    return Boiled(one, round(water, 1), round(one.low_c * 1.8 + 32), round(one.high_c * 1.8 + 32), (*words, CAUTION))
