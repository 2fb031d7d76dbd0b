"""One real Chromium on the built front end with the demo data, for the tests of the screens."""

from __future__ import annotations

import os
import re
import shutil
import tempfile
import threading
import unittest
from pathlib import Path
from typing import Any, ClassVar

from playwright.sync_api import Browser, Page, Playwright, expect, sync_playwright

from sun_crumb.app import WEBROOT, create_app
from sun_crumb.demo import fill, live
from sun_crumb.devices import Devices
from sun_crumb.server import make_server
from sun_crumb.store import Database

AXE = Path(__file__).parents[2] / "web" / "node_modules" / "axe-core" / "axe.min.js"
LOAF = """Ginger pear loaf
Makes 10 slices

200 g plain flour
1 cup (200 g) sugar
1/3 cup (130 g) brown sugar
150 ml milk
80 g butter, melted
2 large eggs
1 tsp baking soda
½ cup stevia
blorf dust
"""
# A shared machine may stand still for seconds: what is waited for must come, not come soon.
PATIENCE_MS = 25_000
# A machine so many times slower, each answer so much later: make test-slowly, to find what only a quick machine passes.
SLOWER = float(os.environ.get("SUN_CRUMB_SLOWER", "1"))
LATER_MS = 150
SIZES = {"laptop": (1280, 800), "tablet": (1024, 768), "phone": (390, 844)}
PLACES = {
    "/": "The last seven days",
    "/workshop": "Boil down",
    "/recipes": "Orange semolina cake",
    "/bring-in": "Paste a dessert on the left",
    "/recipes/1/bench": "White sugar",
    "/recipes/1/bake-day/2": "To have ready",
    "/recipes/1/counter/2": "step 1 of",
    "/compare": "What makes the difference",
    "/afternoon": "A guest eats at most",
    "/ledger": "Log a slice",
    "/pantry": "What 100 g hold",
    "/pantry?tab=sweeteners": "As sweet as",
    "/pantry?tab=label": "What the pack says",
}


@unittest.skipUnless(shutil.which("chromium"), "needs Debian's chromium: make chromium")
class Screens(unittest.TestCase):
    """One browser for all; each test has a fresh page, each class a fresh demo household."""

    playwright: ClassVar[Playwright]
    browser: ClassVar[Browser]
    address: ClassVar[str]
    database_path: ClassVar[Path]
    database: ClassVar[Database]
    # Whether a quarter of bakes, tastings and slices is there.
    is_lived: ClassVar[bool] = False

    @classmethod
    def setUpClass(cls) -> None:
        if not (WEBROOT / "index.html").is_file():
            raise AssertionError("the screens are not built: run make build")
        folder = tempfile.TemporaryDirectory()
        cls.addClassCleanup(folder.cleanup)
        cls.database_path = Path(folder.name) / "demo.db"
        devices = cls.devices()
        cls.addClassCleanup(devices.close)
        app = create_app(cls.database_path, is_demo=True, devices=devices)
        cls.database = app.extensions["database"]
        fill(cls.database)
        if cls.is_lived:
            live(cls.database)
        cls.addClassCleanup(app.extensions["database"].close)
        server: Any = make_server(app)
        threading.Thread(target=server.run, daemon=True).start()
        cls.addClassCleanup(server.close)
        cls.address = f"http://127.0.0.1:{server.effective_port}"
        expect.set_options(timeout=PATIENCE_MS * SLOWER)
        cls.playwright = sync_playwright().start()
        cls.addClassCleanup(cls.playwright.stop)
        cls.browser = cls.playwright.chromium.launch(executable_path=shutil.which("chromium"))
        cls.addClassCleanup(cls.browser.close)

    @classmethod
    def devices(cls) -> Devices:
        """Return what stands at the worktop: nothing, but where a class says otherwise."""
        return Devices()

    def open(self, path: str, size: str = "laptop") -> Page:
        width, height = SIZES[size]
        page = self.browser.new_page(viewport={"width": width, "height": height}, reduced_motion="reduce")
        page.set_default_timeout(PATIENCE_MS * SLOWER)
        if SLOWER > 1:
            browser = page.context.new_cdp_session(page)
            browser.send("Emulation.setCPUThrottlingRate", {"rate": SLOWER})
            late = {"offline": False, "latency": LATER_MS * SLOWER, "downloadThroughput": -1, "uploadThroughput": -1}
            browser.send("Network.enable")
            browser.send("Network.emulateNetworkConditions", late)
        self.addCleanup(page.close)
        self.addCleanup(self._tell, page)
        self.problems: list[str] = []
        page.on("pageerror", lambda error: self.problems.append(str(error)))
        page.on("console", lambda m: self.problems.append(m.text) if m.type == "error" else None)
        page.on(
            "request", lambda r: self.problems.append(r.url) if not r.url.startswith((self.address, "data:")) else None
        )
        page.goto(self.address + path)
        if "/bench" in path:
            self.settle(page)
        return page

    def cut_further(self, page: Page, steps: int) -> None:
        """Ask on the Bench for a bigger cut, by so many steps of its slider."""
        page.get_by_role("button", name=re.compile("How much to cut")).click()
        for _ in range(steps):
            page.get_by_role("slider", name="Cut by").press("ArrowRight")
        page.keyboard.press("Escape")

    def settle(self, page: Page) -> None:
        """Wait until the Bench has all its answers: while they come, what is about to be clicked may move under the pointer."""
        page.wait_for_load_state("networkidle")

    def _tell(self, page: Page) -> None:
        """Print where a page stood when its test failed: what only a busy machine shows is seen once."""
        result = getattr(getattr(self, "_outcome", None), "result", None)
        if not any(test is self for test, _ in (*getattr(result, "failures", ()), *getattr(result, "errors", ()))):
            return
        drafts = page.evaluate("JSON.stringify({...sessionStorage, ...localStorage})")
        print(
            f"{self.id()} stood at {page.url}", drafts, page.locator("body").aria_snapshot(), *self.problems, sep="\n"
        )
