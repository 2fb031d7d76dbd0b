"""What a device tells, checked."""

from __future__ import annotations

from dataclasses import dataclass
from math import isfinite
from typing import Any, Literal

from sun_crumb.core.errors import CoreError

# *live* tells, *old* told a while ago, *garbled* sends what can't be read, *gone* can't be reached.
DeviceState = Literal["live", "old", "garbled", "gone"]
# What a kitchen's devices can tell at all: what lies outside is garbage, no weight and no heat.
MOST_GRAMS, LEAST_C, MOST_C = 25_000.0, -40.0, 400.0
GRAMS = {"g": 1.0, "kg": 1000.0, "oz": 28.349523125, "lb": 453.59237}


class GarbledError(ValueError):
    """A line of a device that can't be read."""


class BadAddressError(CoreError):
    """What a device is reached at is no address."""

    code = "address"


@dataclass(frozen=True, slots=True)
class Weight:
    """What a scale tells: a weight [g], whether it stands still, and how full its battery is (0 to 1), None where it doesn't say."""

    grams: float
    is_stable: bool
    battery: float | None = None


@dataclass(frozen=True, slots=True)
class Heat:
    """What a probe tells: a temperature [°C], and how full its battery is (0 to 1)."""

    celsius: float
    battery: float | None = None


def weight_of(told: Any) -> Weight:
    """Return a scale's word as a weight; ounces and pounds become grams (NIST SP 811).

    Raises
    ------
    GarbledError
        It is none.

    Examples
    --------
    >>> weight_of({"kind": "weight", "value": 8.5, "unit": "oz", "stable": True}).grams
    240.97
    """
    unit = told.get("unit", "g") if isinstance(told, dict) else None
    if not isinstance(unit, str) or unit not in GRAMS:
        raise GarbledError("no unit of weight")
    grams = round(_number(told, "value") * GRAMS[unit], 2)
    if abs(grams) > MOST_GRAMS:
        raise GarbledError("no weight of a kitchen")
    return Weight(grams, told.get("stable") is True, _battery(told))


def heat_of(told: Any) -> Heat:
    """Return a probe's word as a temperature; °F becomes °C.

    Raises
    ------
    GarbledError
        It is none.

    Examples
    --------
    >>> heat_of({"kind": "heat", "value": 212, "unit": "F"}).celsius
    100.0
    """
    unit = told.get("unit", "C") if isinstance(told, dict) else None
    if unit not in ("C", "F"):
        raise GarbledError("no unit of heat")
    value = _number(told, "value")
    celsius = round((value - 32) / 1.8 if unit == "F" else value, 1)
    if not LEAST_C <= celsius <= MOST_C:
        raise GarbledError("no heat of a kitchen")
    return Heat(celsius, _battery(told))


def _number(told: dict[str, Any], name: str) -> float:
    value = told.get(name)
    if isinstance(value, bool) or not isinstance(value, int | float) or not isfinite(value):
        raise GarbledError(f"no number as its {name}")
    return float(value)


def _battery(told: dict[str, Any]) -> float | None:
    value = told.get("battery")
    is_share = isinstance(value, int | float) and not isinstance(value, bool) and 0 <= value <= 1
    return float(value) if is_share and value is not None else None
