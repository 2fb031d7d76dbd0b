"""The worktop's scale and probe: what there is, what they tell as it happens, tare."""

from __future__ import annotations

import json
import threading
import time
from collections.abc import Iterator
from typing import Any

from flask import Blueprint, Response, current_app

from sun_crumb.api.contract import endpoint
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.devices import DevicesOut
from sun_crumb.core.errors import CoreError
from sun_crumb.devices import Device, Devices, Weight

blueprint = Blueprint("devices", __name__)
# A stream holds one of the server's threads: it ends after so long, and the page asks again; more than so many wait their turn.
STREAM_SECONDS, MOST_STREAMS, BEAT_SECONDS = 50.0, 3, 5.0
# A screen shows no more than so many words a second.
LEAST_GAP_SECONDS = 0.05
_STREAMS = threading.BoundedSemaphore(MOST_STREAMS)


class NoDeviceError(CoreError):
    """There is no such device, or it can't be told anything now."""

    code = "no_device"


class BusyError(CoreError):
    """As many screens follow the devices as can."""

    code = "busy"


def devices() -> Devices:
    """Return the devices of this worktop."""
    found: Devices = current_app.extensions["devices"]
    return found


def _word(name: str, device: Device) -> dict[str, Any]:
    """Return what a device tells: a weight in grams, a heat in °C, or None where it never told any."""
    latest = device.latest()  # type: ignore[attr-defined]
    is_weight = isinstance(latest, Weight)
    return {
        "name": name,
        "state": device.state,
        "grams": latest.grams if is_weight else None,
        "is_stable": latest.is_stable if is_weight else None,
        "celsius": None if latest is None or is_weight else latest.celsius,
        "battery": latest.battery if latest is not None else None,
    }


@endpoint(blueprint, "GET", "/devices", returns=DevicesOut)
def list_devices() -> dict[str, Any]:
    """List the devices at the worktop and what they last told."""
    return {"devices": [_word(name, device) for name, device in devices().all().items()]}


@endpoint(blueprint, "POST", "/devices/scale/tare", returns=DoneOut)
def tare() -> dict[str, Any]:
    """Set the scale to zero with what stands on it."""
    scale = devices().scale
    if scale is None:
        raise NoDeviceError("there is no scale; type the weight", field="scale")
    if not scale.tare():
        raise NoDeviceError("the scale can't be reached; type the weight, or tare it by its own key", field="scale")
    return {"done": True}


@blueprint.get("/devices/stream")
def stream() -> Response:
    """Follow the devices: server-sent events, one for each word, named by the device."""
    found = devices().all()
    if not found:
        raise NoDeviceError("there is no device to follow", field="devices")
    if not _STREAMS.acquire(blocking=False):
        raise BusyError(f"{MOST_STREAMS} screens follow the devices already", field="devices")
    try:
        answer = Response(_Followed(found), mimetype="text/event-stream")
    except BaseException:
        _STREAMS.release()
        raise
    answer.headers["X-Accel-Buffering"] = "no"
    return answer


class _Followed:
    """The events of one screen. Its place is given back once, when the stream ends or the screen is gone."""

    def __init__(self, found: dict[str, Device]) -> None:
        self._found = found
        self._events = self._words()
        self._is_open = True

    def __iter__(self) -> Iterator[str]:
        return self

    def __next__(self) -> str:
        try:
            return next(self._events)
        except BaseException:
            self.close()
            raise

    def close(self) -> None:
        """Give the place back."""
        if self._is_open:
            self._is_open = False
            _STREAMS.release()

    def _words(self) -> Iterator[str]:
        end = time.monotonic() + STREAM_SECONDS
        told: dict[str, tuple[int, str]] = {}
        yield "retry: 500\n\n"
        beat = time.monotonic()
        waited = next(iter(self._found.values()))
        while (now := time.monotonic()) < end:
            for name, device in self._found.items():
                mark = (device.count, device.state)
                if told.get(name) != mark:
                    told[name] = mark
                    beat = now
                    yield f"event: device\ndata: {json.dumps(_word(name, device))}\n\n"
            if now - beat > BEAT_SECONDS:
                beat = now
                yield ": still here\n\n"
            waited.wait(waited.count, 0.2)
            time.sleep(LEAST_GAP_SECONDS)
