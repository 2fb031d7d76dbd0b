"""The devices of a worktop: one scale and one probe, each where there is one."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.devices.line import LineProbe, LineScale
from sun_crumb.devices.protocols import Device, Probe, Scale
from sun_crumb.devices.records import BadAddressError


@dataclass(slots=True)
class Devices:
    """What stands at the worktop."""

    scale: Scale | None = None
    probe: Probe | None = None

    def all(self) -> dict[str, Device]:
        """Return the devices that are there, by what they are."""
        return {name: one for name, one in (("scale", self.scale), ("probe", self.probe)) if one is not None}

    def close(self) -> None:
        """Let go of all of them."""
        for device in self.all().values():
            device.close()


def devices_at(scale: str | None, probe: str | None) -> Devices:
    """Return the devices that answer at addresses of the form host:port.

    Raises
    ------
    BadAddressError
        An address is none.
    """
    return Devices(
        None if not scale else LineScale(*_address(scale, "scale")),
        None if not probe else LineProbe(*_address(probe, "probe")),
    )


def _address(text: str, field_name: str) -> tuple[str, int]:
    host, _, port = text.strip().rpartition(":")
    if not host or not port.isdigit() or not 0 < int(port) <= 65535:
        raise BadAddressError(f"{text!r} is no address of a {field_name}: write host:port", field=field_name)
    return host, int(port)
