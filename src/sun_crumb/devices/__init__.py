"""Scales and probes at the worktop: what they tell, and how they are reached. No rule of the job, no database, no web.

A device is anything that follows a protocol of ``devices.protocols``; what ships is one that speaks lines of JSON over a
local socket (docs/devices.md). Losing a device loses nothing: the last word of it is said to be old.
"""

from sun_crumb.devices.hub import Devices, devices_at
from sun_crumb.devices.protocols import Device, Probe, Scale
from sun_crumb.devices.records import BadAddressError, DeviceState, Heat, Weight

__all__ = ["BadAddressError", "Device", "DeviceState", "Devices", "Heat", "Probe", "Scale", "Weight", "devices_at"]
