"""How long a word of the scale takes to the screen [ms]: a device of our own, the real server, real Chromium."""

from __future__ import annotations

import json
import shutil
import socketserver
import statistics
import tempfile
import threading
import time
from pathlib import Path
from typing import Any, ClassVar

from playwright.sync_api import sync_playwright

from sun_crumb.app import create_app
from sun_crumb.demo import fill
from sun_crumb.devices import devices_at
from sun_crumb.server import make_server

TRIES = 60


class Teller(socketserver.ThreadingTCPServer):
    """Tells what it is given to whoever listens."""

    allow_reuse_address = True
    daemon_threads = True
    listeners: ClassVar[list[Any]] = []

    def tell(self, grams: float) -> None:
        line = json.dumps({"kind": "weight", "value": grams, "unit": "g", "stable": True}).encode() + b"\n"
        for listener in self.listeners:
            listener.sendall(line)


class Line(socketserver.BaseRequestHandler):
    """One that listens."""

    def handle(self) -> None:
        Teller.listeners.append(self.request)
        threading.Event().wait(600)


def main() -> None:
    """Print the median and the 95th percentile."""
    teller = Teller(("127.0.0.1", 0), Line)
    threading.Thread(target=teller.serve_forever, daemon=True).start()
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as playwright:
        app = create_app(
            Path(folder) / "bench.db",
            is_demo=True,
            devices=devices_at(f"127.0.0.1:{teller.server_address[1]}", None),
        )
        fill(app.extensions["database"])
        server: Any = make_server(app)
        threading.Thread(target=server.run, daemon=True).start()
        browser = playwright.chromium.launch(executable_path=shutil.which("chromium"))
        page = browser.new_page()
        page.goto(f"http://127.0.0.1:{server.effective_port}/recipes/1/counter/2")
        page.get_by_text("step 1 of").wait_for()
        page.keyboard.press("Space")
        page.keyboard.press("Space")
        teller.tell(20.0)
        page.locator(".figures b").wait_for()
        page.evaluate(
            "() => { window.seen = {}; new MutationObserver(() => { const t = document.querySelector('.figures b')?.textContent?.trim();"
            " if (t && !(t in window.seen)) window.seen[t] = Date.now() }).observe(document.body, {subtree: true, childList: true, characterData: true}) }"
        )
        took = []
        for n in range(TRIES):
            time.sleep(0.13)
            begun = time.time() * 1000
            teller.tell(100.0 + n)
            time.sleep(0.4)
            seen = page.evaluate("n => window.seen[n]", str(100 + n))
            if seen is not None:
                took.append(seen - begun)
        browser.close()
        server.close()
    took.sort()
    print(
        f"{len(took)} of {TRIES} words seen: median {statistics.median(took):.0f} ms, 95 % within {took[int(0.95 * len(took)) - 1]:.0f} ms"
    )


if __name__ == "__main__":
    main()
