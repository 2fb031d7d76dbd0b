"""Devices at the worktop."""

from __future__ import annotations

from typing import Literal

from sun_crumb.api.schemas.base import Out, To1


class DeviceOut(Out):
    """What a device last told; *old* told a while ago, *garbled* sends what can't be read, *gone* can't be reached."""

    name: Literal["scale", "probe"]
    state: Literal["live", "old", "garbled", "gone"]
    grams: To1 | None
    is_stable: bool | None
    celsius: To1 | None
    battery: float | None


class DevicesOut(Out):
    devices: list[DeviceOut]
