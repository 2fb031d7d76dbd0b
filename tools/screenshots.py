"""Take the pictures of the README from the demo data: start the demo, walk through the places, save PNGs.

With --to FOLDER the pictures go there, and phone-sized ones are taken too: for looking at, not for keeping.
"""

from __future__ import annotations

import argparse
import json
import re
import shutil
import subprocess
import sys
import tempfile
import urllib.request
from pathlib import Path
from typing import Any

from playwright.sync_api import Page, sync_playwright

ROOT = Path(__file__).resolve().parent.parent
KEPT = ROOT / "docs" / "screenshots"
DOUBTFUL = """Walnut date bread
Makes 12 slices

1⅔ cups (210 g) plain flour
1/3 cup (130 g) brown sugar
2 large eggs
½ cup stevia
100 ml coconut milk
80 g butter, melted
1 cup chopped dates
½ cup walnuts
2 tsp baking powder
frobnicated essence
"""


def recipes(page: Page) -> None:
    page.get_by_role("link", name="Orange semolina cake").wait_for()


def bring_in(page: Page) -> None:
    page.get_by_label("The recipe, as it is written").fill(DOUBTFUL)
    page.get_by_text("lines to decide").wait_for()


def bench(page: Page) -> None:
    page.get_by_role("heading", name=re.compile("balance|can be had")).wait_for()
    page.wait_for_timeout(1500)


def side_by_side(page: Page) -> None:
    bench(page)
    page.keyboard.press("s")
    page.get_by_role("rowheader", name="Cautions").wait_for()


def out_of_reach(page: Page) -> None:
    bench(page)
    page.get_by_role("radio", name=re.compile("^Whole fruit")).click()
    page.get_by_role("button", name=re.compile("How much to cut")).click()
    for _ in range(6):
        page.get_by_role("slider", name="Cut by").press("ArrowRight")
    page.keyboard.press("Escape")
    page.get_by_text("What a bigger cut costs").click()
    page.get_by_role("button", name=re.compile("^Cut 30 %")).wait_for()
    page.get_by_role("button", name="What would make it possible?").click()
    page.get_by_role("list", name="What would make it possible").wait_for()
    page.get_by_text("Held against a").scroll_into_view_if_needed()


def diet(page: Page) -> None:
    bench(page)
    page.get_by_role("radio", name=re.compile("^Less")).click()
    page.get_by_role("button", name=re.compile("^Who eats it")).click()
    page.get_by_label("vegan", exact=True).check()
    page.keyboard.press("Escape")
    page.get_by_text("left out for “vegan”").first.wait_for()
    page.wait_for_timeout(600)


def ledger(page: Page) -> None:
    page.get_by_text("free sugar saved").wait_for()


def pantry(page: Page) -> None:
    page.get_by_role("heading", name="honey").wait_for()


def sweeteners(page: Page) -> None:
    page.get_by_role("row", name=re.compile("honey")).wait_for()


def workshop(page: Page) -> None:
    page.get_by_role("button", name="Use in a recipe").click()
    page.get_by_role("button", name="Keep as a version").wait_for()


def bake_day(page: Page) -> None:
    page.get_by_text("begin at").wait_for()


def counter(page: Page) -> None:
    """Two eggs are in, and honey is poured by the simulated scale."""
    page.get_by_text("step 1 of").wait_for()
    for _ in range(2):
        page.keyboard.press("Space")
    page.get_by_role("button", name="Tare").wait_for()
    _tell_the_scale(do="put", grams=101)
    page.get_by_role("button", name=re.compile("Take 10[012] g")).click()
    page.get_by_role("button", name="As planned").wait_for()
    _tell_the_scale(do="put", grams=24)
    page.get_by_role("button", name=re.compile("Take 2[345] g")).wait_for()


def tastings(page: Page) -> None:
    page.get_by_role("heading", name="Why “gummy”?").wait_for()


def today(page: Page) -> None:
    page.get_by_role("link", name=re.compile("How was the")).first.wait_for()


def compare(page: Page) -> None:
    page.get_by_text("What makes the difference").wait_for()


def another_base(page: Page) -> None:
    bench(page)
    page.get_by_role("button", name=re.compile("^What it stands on")).click()
    page.get_by_label("on almond flour").check()
    page.keyboard.press("Escape")
    page.get_by_text(re.compile("^Made on almond flour")).wait_for()
    page.wait_for_timeout(800)


def afternoon(page: Page) -> None:
    for name in ("Carrot loaf", "Hazelnut cookies", "Orange semolina cake", "Plum crumble"):
        page.get_by_label(re.compile(f"^{name}")).check()
    page.get_by_role("row", name=re.compile("^Plum crumble")).wait_for()
    page.wait_for_timeout(2500)


def month(page: Page) -> None:
    """The month before, whole."""
    page.get_by_label("Earlier").click()
    page.get_by_role("region", name="Sums by person").wait_for()


def household(page: Page) -> None:
    page.get_by_text("You like things").wait_for()


def _tell_the_scale(**word: Any) -> None:
    """Turn a knob of the simulated scale."""
    request = urllib.request.Request(SCALE_PAGE, data=json.dumps(word).encode(), method="POST")
    with urllib.request.urlopen(request):
        pass


SCALE_PORT, SCALE_PAGE = 8731, "http://127.0.0.1:8732/"


SHOTS = {
    "recipes": ("/recipes", recipes),
    "bring-in": ("/bring-in", bring_in),
    "bench": ("/recipes/1/bench", bench),
    "side-by-side": ("/recipes/1/bench", side_by_side),
    "out-of-reach": ("/recipes/1/bench", out_of_reach),
    "diet": ("/recipes/3/bench", diet),
    "bake-day": ("/recipes/1/bake-day/2", bake_day),
    "counter": ("/recipes/1/counter/2", counter),
    "ledger": ("/ledger", ledger),
    "today": ("/", today),
    "compare": ("/compare?first=1.1&second=1.2", compare),
    "another-base": ("/recipes/1/bench", another_base),
    "afternoon": ("/afternoon", afternoon),
    "month": ("/ledger/month", month),
    "tastings": ("/tastings/8", tastings),
    "household": ("/household", household),
    "pantry": ("/pantry?food=honey", pantry),
    "sweeteners": ("/pantry?tab=sweeteners", sweeteners),
    "workshop": ("/workshop?sum=squeeze", workshop),
}


def main() -> int:
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("--to", type=Path, default=KEPT)
    parser.add_argument("--only", help="one place")
    parser.add_argument("--theme", choices=("morning", "oven"), default="morning")
    chosen = parser.parse_args()
    chosen.to.mkdir(parents=True, exist_ok=True)
    sizes = {"": (1280, 800)} if chosen.to == KEPT else {"": (1280, 800), "-phone": (390, 844)}
    with tempfile.TemporaryDirectory() as folder:
        scale = subprocess.Popen(
            [
                sys.executable,
                "-m",
                "simulators.scale",
                "--port",
                str(SCALE_PORT),
                "--page",
                SCALE_PAGE.split(":")[-1].rstrip("/"),
            ]
        )
        server = subprocess.Popen(
            [
                *(sys.executable, "-m", "sun_crumb.cli", "demo", "--folder", folder, "--port", "0"),
                *("--scale", f"127.0.0.1:{SCALE_PORT}"),
            ],
            stdout=subprocess.PIPE,
            text=True,
        )
        try:
            assert server.stdout is not None
            address = next(line for line in server.stdout if "http://" in line).split()[-1].rstrip("/")
            with sync_playwright() as playwright:
                browser = playwright.chromium.launch(executable_path=shutil.which("chromium"))
                for suffix, (width, height) in sizes.items():
                    for name, (path, wait) in SHOTS.items():
                        if chosen.only and name != chosen.only:
                            continue
                        page = browser.new_page(viewport={"width": width, "height": height})
                        page.add_init_script(f"localStorage.setItem('sun-crumb.theme', '\"{chosen.theme}\"')")
                        page.goto(address + path)
                        wait(page)
                        page.wait_for_timeout(500)
                        page.screenshot(path=chosen.to / f"{name}{suffix}.png")
                        page.close()
                browser.close()
        finally:
            for process in (server, scale):
                process.terminate()
                process.wait()
    return 0


if __name__ == "__main__":
    sys.exit(main())
