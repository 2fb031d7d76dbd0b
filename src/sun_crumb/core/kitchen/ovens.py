"""Ovens: one heat by every dial, this oven's own offset, and what height does."""

from __future__ import annotations

from dataclasses import dataclass
from math import log

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.method.waits import FAN_C
from sun_crumb.core.reading.oven_heat import GAS_MARK_C

LEAST_C, MOST_C = 50.0, 300.0


@dataclass(frozen=True, slots=True)
class OvenSetting:
    """One heat by every dial: conventional and fan [°C], °F, gas mark; corrected for this oven where its offset is known."""

    conventional_c: float
    fan_c: float
    fahrenheit: int
    gas: str
    dial_c: float
    words: tuple[str, ...]


def setting(temperature: float, unit: str = "C", *, is_fan: bool = False, offset_c: float = 0.0) -> OvenSetting:
    """Return an oven's heat by every dial.

    Parameters
    ----------
    temperature
        As told, in *unit*: C, F, or gas.
    unit
        "C", "F" or "gas".
    is_fan
        Whether it is a fan oven's dial.
    offset_c
        How much hotter this oven is than its dial says [°C].

    Raises
    ------
    OutOfDomainError
        No oven is set so.

    Examples
    --------
    >>> setting(350, "F").conventional_c
    177.0
    """
    key = unit.strip().lower()[:1]
    if key == "g":
        mark = f"{temperature:g}".replace("0.25", "¼").replace("0.5", "½")
        if mark not in GAS_MARK_C:
            raise OutOfDomainError(f"gas mark {temperature:g} is on no oven; ¼, ½ or 1 to 9", field="temperature")
        celsius = float(GAS_MARK_C[mark])
    else:
        celsius = (temperature - 32) / 1.8 if key == "f" else float(temperature)
    celsius += FAN_C if is_fan else 0.0
    if not LEAST_C <= celsius <= MOST_C:
        raise OutOfDomainError(
            f"an oven is set from {LEAST_C:.0f} to {MOST_C:.0f} °C, not to {celsius:.0f}", field="temperature"
        )
    celsius = float(round(celsius))
    gas = min(GAS_MARK_C, key=lambda m: abs(GAS_MARK_C[m] - celsius))
    words = []
    if offset_c:
        words.append(
            f"this oven runs {abs(offset_c):g} °C {'hotter' if offset_c > 0 else 'cooler'} than its dial: set {celsius - offset_c:.0f} °C"
        )
    return OvenSetting(
        celsius, celsius - FAN_C, 5 * round((celsius * 1.8 + 32) / 5), gas, celsius - offset_c, tuple(words)
    )


def dial_words(
    conventional_c: float, *, is_fan: bool = False, offset_c: float = 0.0, is_fahrenheit: bool = False
) -> str:
    """Return what to set on this oven's dial for a heat that a method tells [°C, conventional]; empty where it is the same.

    As it *is_fahrenheit*, the dial has that scale, and is told always.

    Examples
    --------
    >>> dial_words(180.0, is_fan=True), dial_words(180.0, offset_c=10.0), dial_words(180.0)
    ('160 °C on your dial (fan)', '170 °C on your dial (it runs 10 °C hot)', '')
    >>> dial_words(180.0, is_fahrenheit=True)
    '355 °F on your dial'
    """
    if not is_fan and not offset_c and not is_fahrenheit:
        return ""
    dial = conventional_c - (FAN_C if is_fan else 0.0) - offset_c
    why = ["fan"] if is_fan else []
    if offset_c:
        off = f"{abs(offset_c) * 1.8:.0f} °F" if is_fahrenheit else f"{abs(offset_c):g} °C"
        why.append(f"it runs {off} {'hot' if offset_c > 0 else 'cool'}")
    set_to = f"{5 * round((dial * 1.8 + 32) / 5)} °F" if is_fahrenheit else f"{5 * round(dial / 5)} °C"
    said = f" ({', '.join(why)})" if why else ""
    return f"{set_to} on your dial{said}"


def turn_words(minutes: tuple[int, int], hot_side: str) -> str:
    """Return when a bake is turned where an oven is hotter on one side: at two thirds of its time (common practice).

    Examples
    --------
    >>> turn_words((35, 40), "left")
    'Turn it after 25 minutes: your oven is hotter at the left.'
    """
    if not hot_side or minutes[0] < LEAST_TO_TURN_MIN:
        return ""
    return f"Turn it after {5 * round(minutes[0] * 2 / 3 / 5) or 5} minutes: your oven is hotter at the {hot_side}."


# A shorter bake is not opened for that [min] (judgement: what is in it for ten minutes sinks).
LEAST_TO_TURN_MIN = 15


def pressure_hpa(altitude_m: float) -> float:
    """Return the air's pressure at a height [hPa] by the ICAO standard atmosphere."""
    if not -400 <= altitude_m <= 6000:
        raise OutOfDomainError(f"nobody bakes at {altitude_m:g} m", field="altitude")
    return float(1013.25 * (1 - 2.25577e-5 * altitude_m) ** 5.25588)


def boiling_point_c(altitude_m: float) -> float:
    """Return at what temperature water boils at a height [°C], by the Clausius-Clapeyron relation (40.66 kJ/mol at 100 °C).

    Examples
    --------
    >>> round(boiling_point_c(1609))
    95
    """
    ratio = pressure_hpa(altitude_m) / 1013.25
    return 1 / (1 / 373.15 - 8.314 * log(ratio) / 40_660) - 273.15


@dataclass(frozen=True, slots=True)
class Height:
    """What a height asks of a bake: the boiling point [°C], leaven and sugar as shares, more liquid [tbsp a cup], hotter [°C]; common practice."""

    boiling_c: float
    leaven_share: float
    liquid_tbsp_per_cup: float
    hotter_c: float
    words: tuple[str, ...]


def at_height(altitude_m: float) -> Height:
    """Return what a height asks of a bake (common practice; sugar is cut anyway)."""
    boils = boiling_point_c(altitude_m)
    if altitude_m < 900:
        return Height(round(boils, 1), 1.0, 0.0, 0.0, ("nothing to change below 900 m",))
    steps = min((altitude_m - 900) / 600, 3.0)
    leaven = round(1 - 0.125 - 0.125 * steps, 2)
    liquid = round(1 + steps, 1)
    words = (
        f"water boils at {boils:.0f} °C",
        f"leavening {100 * (1 - leaven):.0f} % less",
        f"{liquid:g} tbsp more liquid to a cup of it",
        "8 to 14 °C hotter, and look 5 to 8 minutes earlier",
    )
    return Height(round(boils, 1), leaven, liquid, 10.0, words)
