"""What every stand-in has: lines of JSON to whoever listens, words from them, and a page of knobs."""

from __future__ import annotations

import argparse
import contextlib
import json
import socket
import socketserver
import threading
import time
from collections.abc import Callable
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer
from typing import Any

HOST = "127.0.0.1"
PAGE = """<!doctype html><meta charset="utf-8"><title>{title}</title>
<style>body{{font:18px/1.5 system-ui;margin:2rem;max-width:34rem;background:#f2efe9;color:#222}}button{{font:inherit;margin:.2rem;padding:.5rem .9rem}}
output{{font:600 2.6rem/1.2 ui-monospace,monospace;display:block;margin:.6rem 0}}</style>
<h1>{title}</h1><p>A stand-in for a device; nothing here is a part of Sun Crumb.</p><output id="o">-</output>{buttons}
<script>for(const b of document.querySelectorAll('button'))b.onclick=()=>fetch('/',{{method:'POST',body:b.dataset.word}});
setInterval(async()=>{{document.getElementById('o').textContent=await (await fetch('/now')).text()}},300)</script>"""


class Stand:
    """A device that ticks, tells and is told. What it is goes into *tell*, *told* and *tick*."""

    title = "Device"
    every_s = 0.1
    knobs: tuple[tuple[str, dict[str, Any]], ...] = ()

    def __init__(self) -> None:
        self.lock = threading.RLock()
        self.listeners: list[socket.socket] = []
        self.away_until = 0.0
        self.garbage = 0

    def tick(self, seconds: float) -> None:
        """Let *seconds* go by."""

    def word(self) -> dict[str, Any]:
        """Return what it tells now."""
        return {}

    def told(self, word: dict[str, Any]) -> None:
        """Do what it is told."""

    def shown(self) -> str:
        """Return what its display shows."""
        return json.dumps(self.word())

    def hear(self, raw: bytes) -> None:
        """Take in a word; what can't be read is passed over, as devices do."""
        try:
            word = json.loads(raw)
        except ValueError:
            return
        if not isinstance(word, dict):
            return
        with self.lock:
            if word.get("do") == "lose":
                self.away_until = time.monotonic() + float(word.get("seconds", 5))
            elif word.get("do") == "garble":
                self.garbage = int(word.get("lines", 5))
            else:
                self.told(word)

    def run(self, port: int, page_port: int, say: Callable[[str], None]) -> None:
        """Answer until stopped."""
        lines = _Lines((HOST, port), self)
        page = ThreadingHTTPServer((HOST, page_port), _page_of(self))
        for server in (lines, page):
            threading.Thread(target=server.serve_forever, daemon=True).start()
        say(f"{self.title}: {HOST}:{lines.server_address[1]}, knobs at http://{HOST}:{page.server_address[1]}/")
        before = time.monotonic()
        while True:
            time.sleep(self.every_s)
            now = time.monotonic()
            with self.lock:
                self.tick(now - before)
                if now < self.away_until:
                    self._drop()
                else:
                    self._tell()
            before = now

    def _drop(self) -> None:
        for listener in self.listeners:
            with contextlib.suppress(OSError):
                listener.shutdown(socket.SHUT_RDWR)
        self.listeners.clear()

    def _tell(self) -> None:
        line = json.dumps(self.word()).encode() + b"\n"
        if self.garbage > 0:
            self.garbage -= 1
            line = b'{"kind": "wei\xff\x00ght", 12..3\n'
        for listener in list(self.listeners):
            try:
                listener.sendall(line)
            except OSError:
                self.listeners.remove(listener)


class _Lines(socketserver.ThreadingTCPServer):
    allow_reuse_address = True
    daemon_threads = True

    def __init__(self, address: tuple[str, int], stand: Stand) -> None:
        self.stand = stand
        super().__init__(address, _Line)


class _Line(socketserver.StreamRequestHandler):
    def handle(self) -> None:
        stand = self.server.stand  # type: ignore[attr-defined]
        with stand.lock:
            if time.monotonic() < stand.away_until:
                return
            stand.listeners.append(self.connection)
        try:
            for raw in self.rfile:
                stand.hear(raw)
        except OSError:
            pass


def _page_of(stand: Stand) -> type[BaseHTTPRequestHandler]:
    class Page(BaseHTTPRequestHandler):
        def do_GET(self) -> None:
            if self.path == "/now":
                with stand.lock:
                    self._send(stand.shown(), "text/plain")
                return
            buttons = "".join(f"<button data-word='{json.dumps(word)}'>{name}</button>" for name, word in stand.knobs)
            self._send(PAGE.format(title=stand.title, buttons=buttons), "text/html")

        def do_POST(self) -> None:
            length = min(int(self.headers.get("Content-Length") or 0), 2000)
            stand.hear(self.rfile.read(length))
            self._send("", "text/plain")

        def _send(self, text: str, kind: str) -> None:
            body = text.encode()
            self.send_response(200)
            self.send_header("Content-Type", f"{kind}; charset=utf-8")
            self.send_header("Content-Length", str(len(body)))
            self.end_headers()
            self.wfile.write(body)

        def log_message(self, *_: Any) -> None:
            return

    return Page


def main(make: Callable[[argparse.Namespace], Stand], port: int, page_port: int, description: str) -> None:
    """Run a stand-in from the command line."""
    parser = argparse.ArgumentParser(description=description)
    parser.add_argument("--port", type=int, default=port, help="where it answers; 0 takes any free port")
    parser.add_argument("--page", type=int, default=page_port, help="where its knobs are; 0 takes any free port")
    parser.add_argument("--seed", type=int, default=1, help="of its noise")
    parser.add_argument("--faster", type=float, default=1.0, help="how many times faster than a kitchen it goes")
    asked = parser.parse_args()
    with contextlib.suppress(KeyboardInterrupt):
        make(asked).run(asked.port, asked.page, lambda words: print(words, flush=True))
