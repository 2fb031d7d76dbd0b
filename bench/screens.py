"""From a slider's move to the painted figures, in Chromium, beside a bare request and a frame of the same run.

Run as ``python -m bench.screens [moves]``. The demo's data are served in this process; the cut is moved by its key, a step at a
time, each after the plan before it has come to rest.
"""

from __future__ import annotations

import statistics
import sys
import tempfile
import threading
from pathlib import Path

from playwright.sync_api import Page, sync_playwright

from sun_crumb.app import create_app
from sun_crumb.demo import fill
from sun_crumb.server import make_server

RECIPE = "Orange semolina cake"
MOVE = """
async (key) => {
  const panel = document.querySelector('.work');
  const start = performance.now();
  const painted = new Promise((done) => {
    const seen = new MutationObserver(() => {
      seen.disconnect();
      requestAnimationFrame(() => {
        const channel = new MessageChannel();
        channel.port1.onmessage = () => done(performance.now() - start);
        channel.port2.postMessage(0);
      });
    });
    seen.observe(panel, { subtree: true, childList: true, characterData: true });
  });
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
  return await painted;
}
"""
BARE = """
async ([url, body]) => {
  const start = performance.now();
  await (await fetch(url, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body })).json();
  return performance.now() - start;
}
"""
FRAME = "() => new Promise((done) => requestAnimationFrame((a) => requestAnimationFrame((b) => done(b - a))))"


def measure(page: Page, moves: int) -> dict[str, list[float]]:
    """Return milliseconds of moves, of bare previews of the same recipe, and of frames."""
    bodies: list[tuple[str, str]] = []
    page.on("request", lambda r: bodies.append((r.url, r.post_data or "")) if r.url.endswith("/preview") else None)
    found: dict[str, list[float]] = {"move": [], "bare request": [], "frame": []}
    for n in range(moves + 3):
        page.wait_for_timeout(650)
        took = page.evaluate(MOVE, "ArrowRight" if n % 8 < 4 else "ArrowLeft")
        page.wait_for_timeout(650)
        bare = page.evaluate(BARE, list(bodies[-1]))
        if n >= 3:
            found["move"].append(took)
            found["bare request"].append(bare)
            found["frame"].append(page.evaluate(FRAME))
    return found


def main() -> None:
    moves = int(sys.argv[1]) if len(sys.argv) > 1 else 60
    with tempfile.TemporaryDirectory() as name, sync_playwright() as playwright:
        app = create_app(Path(name) / "bench.db")
        fill(app.extensions["database"])
        server = make_server(app, 0)
        threading.Thread(target=server.run, daemon=True).start()
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=["--no-sandbox"])
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.goto(f"http://127.0.0.1:{server.effective_port}/recipes")
        page.get_by_role("link", name=RECIPE).click()
        page.get_by_role("heading", name="The method").wait_for()
        page.wait_for_timeout(1500)
        found = measure(page, moves)
        browser.close()
        server.close()
    print(f"| {moves} moves of the cut | median ms | 95th percentile |\n|---|---:|---:|")
    for what, times in found.items():
        ordered = sorted(times)
        print(f"| {what} | {statistics.median(times):.0f} | {ordered[int(0.95 * (len(ordered) - 1))]:.0f} |")


if __name__ == "__main__":
    main()
