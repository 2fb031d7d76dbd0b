"""What a scale and a probe are to Sun Crumb. A real one is added by a class that has these, and nothing else."""

from __future__ import annotations

from typing import Protocol, runtime_checkable

from sun_crumb.devices.records import DeviceState, Heat, Weight


@runtime_checkable
class Device(Protocol):
    """Something at the worktop that tells a value again and again."""

    @property
    def state(self) -> DeviceState:
        """How far its last word can be trusted."""
        ...

    @property
    def count(self) -> int:
        """How many words it has told, so that a new one is known from the last."""
        ...

    def wait(self, count: int, seconds: float) -> bool:
        """Wait until it has told more than *count* words or its state changed, at most *seconds*; return whether it has."""
        ...

    def close(self) -> None:
        """Let go of it."""
        ...


@runtime_checkable
class Scale(Device, Protocol):
    """A kitchen scale."""

    def latest(self) -> Weight | None:
        """Return its last word, None where it never told any."""
        ...

    def tare(self) -> bool:
        """Set it to zero with what stands on it; return whether it could be told so."""
        ...


@runtime_checkable
class Probe(Device, Protocol):
    """A thermometer in a crumb, a syrup or an oven."""

    def latest(self) -> Heat | None:
        """Return its last word, None where it never told any."""
        ...
