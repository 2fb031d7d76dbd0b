"""A device that speaks lines of JSON over a socket: read by a thread of its own, reached again when it is lost."""

from __future__ import annotations

import contextlib
import json
import socket
import threading
import time
from collections.abc import Callable
from typing import Any, Generic, TypeVar

from sun_crumb.devices.records import DeviceState, GarbledError, Heat, Weight, heat_of, weight_of

T = TypeVar("T", Weight, Heat)
# A device tells several times a second: after so long its last word is old; after so many lines that can't be read it is garbled [s].
OLD_AFTER, AGAIN_AFTER, GARBLED_AFTER = 2.0, 0.5, 3
# A line is short: what is longer is thrown away unread [bytes].
LONGEST_LINE = 1000


class LineDevice(Generic[T]):
    """What all devices of this kind have: the thread, the last word, the state."""

    def __init__(self, host: str, port: int, read: Callable[[Any], T]) -> None:
        self._address = (host, port)
        self._read: Callable[[Any], T] = read
        self._changed = threading.Condition()
        self._latest: T | None = None
        self._at = 0.0
        self._count = 0
        self._garbled = 0
        self._is_reached = False
        self._is_closed = threading.Event()
        self._socket: socket.socket | None = None
        self._thread = threading.Thread(target=self._run, daemon=True, name=f"device {host}:{port}")
        self._thread.start()

    @property
    def state(self) -> DeviceState:
        """How far its last word can be trusted."""
        with self._changed:
            if not self._is_reached:
                return "gone"
            if self._garbled >= GARBLED_AFTER:
                return "garbled"
            return "live" if self._latest is not None and time.monotonic() - self._at <= OLD_AFTER else "old"

    @property
    def count(self) -> int:
        """How many words it has told, changes of its state among them."""
        with self._changed:
            return self._count

    def latest(self) -> T | None:
        """Return its last word."""
        with self._changed:
            return self._latest

    def wait(self, count: int, seconds: float) -> bool:
        """Wait until it has told more than *count*."""
        with self._changed:
            return self._changed.wait_for(lambda: self._count > count, seconds)

    def say(self, word: dict[str, Any]) -> bool:
        """Tell the device something; return whether it could be reached."""
        with self._changed:
            line = self._socket if self._is_reached else None
        if line is None:
            return False
        try:
            line.sendall(json.dumps(word).encode() + b"\n")
        except OSError:
            return False
        return True

    def close(self) -> None:
        """Let go of it."""
        self._is_closed.set()
        with self._changed:
            line = self._socket
        if line is not None:
            with contextlib.suppress(OSError):
                line.shutdown(socket.SHUT_RDWR)
        self._thread.join(timeout=2)

    def _run(self) -> None:
        while not self._is_closed.is_set():
            with (
                contextlib.suppress(OSError),
                socket.create_connection(self._address, timeout=2) as line,
            ):
                line.settimeout(OLD_AFTER)
                self._reached(line)
                self._listen(line)
            self._reached(None)
            self._is_closed.wait(AGAIN_AFTER)

    def _reached(self, line: socket.socket | None) -> None:
        with self._changed:
            was, self._is_reached, self._socket = self._is_reached, line is not None, line
            self._garbled = 0
            if was != self._is_reached:
                self._count += 1
                self._changed.notify_all()

    def _listen(self, line: socket.socket) -> None:
        rest = b""
        while not self._is_closed.is_set():
            try:
                piece = line.recv(4096)
            except TimeoutError:
                self._silent()
                continue
            if not piece:
                return
            *lines, rest = (rest + piece).split(b"\n")
            if len(rest) > LONGEST_LINE:
                rest = b""
                self._hear(b"?")
            for one in lines:
                if one.strip():
                    self._hear(one)

    def _hear(self, raw: bytes) -> None:
        try:
            word = self._read(json.loads(raw[: LONGEST_LINE + 1]))
        except (ValueError, RecursionError):  # no JSON, no text, or GarbledError
            with self._changed:
                self._garbled += 1
                if self._garbled == GARBLED_AFTER:
                    self._count += 1
                    self._changed.notify_all()
            return
        with self._changed:
            self._latest, self._at, self._garbled = word, time.monotonic(), 0
            self._count += 1
            self._changed.notify_all()

    def _silent(self) -> None:
        with self._changed:
            self._count += 1
            self._changed.notify_all()


class LineScale(LineDevice[Weight]):
    """A scale that is reached over a socket."""

    def __init__(self, host: str, port: int) -> None:
        super().__init__(host, port, weight_of)

    def tare(self) -> bool:
        """Set it to zero with what stands on it."""
        return self.say({"do": "tare"})


class LineProbe(LineDevice[Heat]):
    """A probe that is reached over a socket."""

    def __init__(self, host: str, port: int) -> None:
        super().__init__(host, port, heat_of)


__all__ = ["GarbledError", "LineDevice", "LineProbe", "LineScale"]
