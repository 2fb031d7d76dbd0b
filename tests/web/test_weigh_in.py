"""Weighing in at the counter in a real browser, with the simulated scale as a program of its own."""

from __future__ import annotations

import json
import re
import urllib.request
from typing import Any, ClassVar

from playwright.sync_api import Page, expect

from sun_crumb.devices import Devices, devices_at
from tests.devices.test_devices import StandIn
from tests.web.browser import Screens

COUNTER = "/recipes/1/counter/2"


class WeighIn(Screens):
    """The demo's second version at its third step: two eggs, 32 g of honey, and more."""

    stand: ClassVar[StandIn]

    @classmethod
    def devices(cls) -> Devices:
        cls.stand = StandIn("scale")
        cls.addClassCleanup(cls.stand.close)
        return devices_at(f"127.0.0.1:{cls.stand.port}", None)

    def tell(self, **word: Any) -> None:
        """Turn a knob of the scale."""
        request = urllib.request.Request(self.stand.page, data=json.dumps(word).encode(), method="POST")
        with urllib.request.urlopen(request):
            pass

    def at_the_bowl(self, size: str = "laptop") -> Page:
        self.tell(do="clear")
        self.tell(do="tare")
        page = self.open(COUNTER, size)
        expect(page.get_by_text("step 1 of 7")).to_be_visible()
        page.keyboard.press("Space")
        page.keyboard.press("Space")
        expect(page.get_by_text("step 3 of 7")).to_be_visible()
        page.get_by_role("button", name=re.compile("egg, .* to go|egg, .* in")).wait_for()
        return page

    def test_from_the_scale_to_a_plan_that_follows(self) -> None:
        page = self.at_the_bowl()
        card = page.get_by_role("region", name="Weigh in")
        self.tell(do="put", grams=101)
        expect(card.get_by_role("button", name=re.compile("Take 10[012] g"))).to_be_visible()
        page.keyboard.press("Enter")
        expect(card.get_by_role("button", name=re.compile("egg, .*in: add more"))).to_be_visible()
        # The scale was set to zero for the next.
        expect(card.get_by_role("button", name="As planned")).to_be_visible()
        self.tell(do="pour", grams=50, seconds=1)
        expect(card.get_by_role("button", name=re.compile("Take (49|50|51) g"))).to_be_visible()
        page.keyboard.press("Enter")
        expect(card.get_by_text(re.compile("honey is 1[789] g over"))).to_be_visible()
        before = page.locator(".text.display").inner_text()
        card.get_by_role("button", name=re.compile("Let the rest follow")).click()
        expect(card.get_by_role("button", name=re.compile("honey, .*in: add more"))).to_be_visible()
        expect(page.locator(".text.display")).not_to_have_text(before)
        page.reload()
        honey = card.get_by_role("button", name=re.compile("honey, .*in: add more"))
        expect(honey).to_be_visible()
        # A little more of what is in is added to it, and what that makes of the sugar is told.
        self.tell(do="tare")
        honey.click()
        expect(card.get_by_role("button", name="Nothing more")).to_be_visible()
        self.tell(do="put", grams=6)
        card.get_by_role("button", name=re.compile("Add [67] g")).click()
        expect(card.get_by_text(re.compile("honey is \\d+ g over"))).to_be_visible()
        card.get_by_role("button", name=re.compile("Keep it as it is")).click()
        expect(card.get_by_role("button", name=re.compile("honey, 5[5-8] g in"))).to_be_visible()
        expect(card.get_by_text("g free sugar a portion")).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_a_scale_that_is_lost_loses_no_step(self) -> None:
        page = self.at_the_bowl()
        card = page.get_by_role("region", name="Weigh in")
        todo = card.get_by_role("button", name=re.compile(".* to go")).first
        todo.click()
        expect(card.get_by_role("button", name="Tare")).to_be_visible()
        self.tell(do="lose", seconds=6)
        expect(card.get_by_text("The scale is gone")).to_be_visible()
        expect(page.get_by_text("step 3 of 7")).to_be_visible()
        card.get_by_role("textbox").fill("73.5")
        expect(card.get_by_role("button", name="Take 74 g")).to_be_visible()
        expect(card.get_by_role("button", name="Tare")).to_be_visible()  # it came back
        self.assertEqual(self.problems, [])

    def test_wet_hands_and_a_phone(self) -> None:
        for size in ("laptop", "tablet", "phone"):
            with self.subTest(size):
                page = self.at_the_bowl(size)
                for button in page.locator(".weigh button").all():
                    box = button.bounding_box()
                    self.assertTrue(box and box["height"] >= 71.5, button.inner_text())
                width = page.evaluate("document.scrollingElement.scrollWidth - innerWidth")
                self.assertLessEqual(width, 0)
                page.close()


if __name__ == "__main__":
    import unittest

    unittest.main()
