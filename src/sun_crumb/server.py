"""The web server around the application: what it waits for, what it refuses to receive, how it starts and stops."""

from __future__ import annotations

import errno
import gc
import signal
import sys
from collections.abc import Callable
from pathlib import Path
from typing import Any

from flask import Flask
from waitress import create_server
from waitress.channel import HTTPChannel
from waitress.parser import HTTPRequestParser
from waitress.server import BaseWSGIServer, MultiSocketServer

from sun_crumb.app import MOST_BYTES, MOST_BYTES_AT, create_app
from sun_crumb.core.errors import CoreError
from sun_crumb.devices import Devices
from sun_crumb.store.folder import Occupied

HOST = "127.0.0.1"
THREADS = 8
# Half-open connections hold a place, not a thread: there are many places, and one that says nothing is given up.
MOST_CONNECTIONS, QUIET_SECONDS, SWEEP_SECONDS = 900, 20, 5


class PortError(CoreError):
    """The server can't answer at the port it was told to."""

    code = "port"


class Parser(HTTPRequestParser):  # type: ignore[misc]
    """Refuses a body that is too long by the length it announces, before a byte of it is read."""

    body_rcv: Any = None

    def received(self, data: bytes) -> int:
        """Take in *data*; a body over the limit of its path is left unread, and the application says 413."""
        consumed = int(super().received(data))
        if self.headers_finished and not self.error:
            most = MOST_BYTES_AT.get(self.path, MOST_BYTES)
            if self.content_length > most and self.body_rcv is not None:
                self.body_rcv, self.completed, self.connection_close = None, True, True
            elif self.chunked and self.body_bytes_received > most:
                self.body_rcv, self.completed, self.connection_close = None, True, True
                self.headers["CONTENT_LENGTH"] = str(self.body_bytes_received)
        return consumed


class Channel(HTTPChannel):  # type: ignore[misc]
    """A connection whose requests Parser reads."""

    parser_class = Parser


def make_server(app: Flask, port: int = 0) -> MultiSocketServer | BaseWSGIServer:
    """Return a server for *app* on this machine's own address; 0 takes any free port.

    Raises
    ------
    PortError
        Another program answers there, or it may not be used.
    """
    if not 0 <= port <= 65535:
        raise PortError(f"{port} is no port; choose one from 1 to 65535 with --port", field="port", port=port)
    try:
        server = create_server(
            app,
            host=HOST,
            port=port,
            threads=THREADS,
            ident=None,
            connection_limit=MOST_CONNECTIONS,
            channel_timeout=QUIET_SECONDS,
            cleanup_interval=SWEEP_SECONDS,
            max_request_body_size=max(MOST_BYTES_AT.values()) + 1,
            asyncore_use_poll=True,
        )
    except OSError as error:
        why = {
            errno.EADDRINUSE: "is taken by another program",
            errno.EACCES: "may not be used without special rights",
        }.get(error.errno or 0, f"can't be used ({error.strerror})")
        raise PortError(
            f"port {port} {why}; nothing was changed; stop the other program, or choose another port with --port",
            field="port",
            port=port,
        ) from None
    server.channel_class = Channel
    # What is loaded by now stays loaded: no answer waits while the collector looks through all of it again.
    gc.collect()
    gc.freeze()
    return server


def run(
    database: Path,
    port: int,
    *,
    is_demo: bool,
    prepare: Callable[[Any], None],
    say: Callable[[str], None],
    devices: Devices | None = None,
) -> None:
    """Serve until told to stop; SIGTERM and Ctrl+C both end with everything in the one file.

    *prepare* is given the database before the first request, *say* the address and the folder.
    """
    with Occupied(database.parent) as mark:
        app = create_app(database, is_demo=is_demo, devices=devices)
        try:
            prepare(app.extensions["database"])
            server = make_server(app, port)
            signal.signal(signal.SIGTERM, _stop)
            address = f"http://{HOST}:{server.effective_port}/"
            mark.tell(address)
            say(f"Sun Crumb: {address}")
            say(f"{'Demo data' if is_demo else 'Your data'} in {database.parent}   (Ctrl+C stops it)")
            server.run()
            server.close()
        finally:
            app.extensions["devices"].close()
            app.extensions["database"].close()


def _stop(_signal: int, _frame: object) -> None:
    sys.exit(0)
