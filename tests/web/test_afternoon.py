"""Several desserts for one table, in the browser."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from tests.web.browser import Screens


class Afternoon(Screens):
    def test_what_is_put_on_the_table_is_cut_to_what_a_guest_may_eat(self) -> None:
        page = self.open("/recipes")
        page.get_by_role("link", name="One afternoon").click()
        expect(page.get_by_text("Put on the table what there will be")).to_be_visible()
        for name in ("Orange semolina cake", "Plum crumble"):
            page.get_by_label(re.compile(f"^{name}")).check()
        expect(page.get_by_text(re.compile("a guest eats .* of free sugar"))).to_be_visible()
        together = page.get_by_role("row", name=re.compile("^together"))
        expect(together).to_be_visible()
        expect(page.get_by_role("img", name=re.compile("^Free sugar of one guest"))).to_be_visible()
        page.get_by_label("Free sugar that a guest eats at most").fill("60")
        page.keyboard.press("Tab")
        expect(page.get_by_text("as it all is")).to_be_visible()
        page.reload()
        expect(page.get_by_label(re.compile("^Plum crumble"))).to_be_checked()
        page.get_by_label("Free sugar that a guest eats at most").fill("12")
        page.keyboard.press("Tab")
        plan = page.get_by_role("link", name=re.compile("^Plan .* with this cut")).first
        expect(plan).to_be_visible()
        plan.click()
        expect(page.get_by_role("button", name=re.compile("^How much to cut"))).to_be_visible()
        self.assertEqual(self.problems, [])
