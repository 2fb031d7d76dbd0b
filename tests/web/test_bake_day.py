"""Bake day and the counter in a real browser: from a kept version to the last step, timers and all."""

from __future__ import annotations

import re
import unittest

from playwright.sync_api import expect

from tests.web.browser import Screens

DAY, COUNTER = "/recipes/1/bake-day/2", "/recipes/1/counter/2"


class BakeDay(Screens):
    def test_from_the_bench_to_the_counter_and_through_it(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name=re.compile("kept, newest")).click()
        page.get_by_role("link", name="Bake day of For the school fair").click()
        expect(page.get_by_role("heading", name="Orange semolina cake")).to_be_visible()
        expect(page.get_by_role("paragraph").filter(has_text="For the date paste: soak")).to_be_visible()
        expect(page.get_by_role("complementary").get_by_text("For the date paste: soak")).to_be_visible()
        expect(page.get_by_text("begin at")).to_be_visible()
        page.get_by_role("checkbox", name=re.compile("soft dates")).check()
        page.reload()
        expect(page.get_by_role("checkbox", name=re.compile("soft dates"))).to_be_checked()
        page.get_by_role("link", name="To the counter").click()
        expect(page.get_by_text("step 1 of 7")).to_be_visible()
        for n in range(2, 8):
            page.keyboard.press("Space")
            expect(page.get_by_text(f"step {n} of 7")).to_be_visible()
        page.keyboard.press("Backspace")
        expect(page.get_by_text("step 6 of 7")).to_be_visible()
        page.keyboard.press("Escape")
        expect(page.get_by_text("When to begin")).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_a_step_in_the_bakers_own_words(self) -> None:
        page = self.open(DAY)
        page.get_by_role("button", name="edit step 1 in your own words").click()
        page.get_by_label("Your own words for step 1").fill("Oven on, tin lined.")
        page.get_by_role("button", name="Keep my words").click()
        expect(page.get_by_text("Oven on, tin lined.")).to_be_visible()
        page.reload()
        expect(page.get_by_text("Oven on, tin lined.")).to_be_visible()
        page.get_by_role("button", name="edit step 1 in your own words").click()
        page.get_by_role("button", name="Take them back").click()
        expect(page.get_by_text("Heat the oven to 165 °C and line a 20 cm square tin.").first).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_text("Oven on, tin lined.")).to_be_visible()
        page.get_by_role("button", name="edit step 1 in your own words").click()
        page.get_by_role("button", name="Take them back").click()
        expect(page.get_by_text("Oven on, tin lined.")).to_have_count(0)

    def test_what_goes_in_where_is_moved_by_keys_and_taken_back(self) -> None:
        page = self.open(DAY)
        page.get_by_role("button", name="what goes in where").click()
        butter = page.get_by_role("button", name=re.compile("^butter, .*in step 3"))
        butter.focus()
        page.keyboard.press("ArrowDown")
        moved = page.get_by_role("button", name=re.compile("^butter, .*in step 4"))
        expect(moved).to_be_focused()
        expect(page.get_by_role("paragraph").filter(has_text="Fold in the dry things (1 cup")).to_contain_text(
            "½ cup butter"
        )
        page.reload()
        page.get_by_role("button", name="what goes in where").click()
        expect(moved).to_be_visible()
        moved.scroll_into_view_if_needed()
        moved.hover()
        page.mouse.down()
        box = page.get_by_role("listitem").filter(has_text="Whisk the 2 eggs").first.bounding_box()
        assert box is not None
        low = box["y"] + box["height"] - 12
        page.mouse.move(box["x"] + 200, low, steps=6)
        page.mouse.move(box["x"] + 206, low - 4, steps=3)
        page.mouse.up()
        expect(butter).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(moved).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_a_step_is_moved_in_time_by_keys_and_by_dragging(self) -> None:
        page = self.open(DAY)
        expect(page.get_by_text("begin at")).to_be_visible()
        begun = page.get_by_text("begin at").inner_text()
        soak = page.get_by_role("button", name=re.compile("For the date paste.*arrow left or right"))
        before = soak.inner_text()
        soak.press("ArrowLeft")
        expect(page.get_by_text("1 step moved by you.")).to_be_visible()
        expect(soak).not_to_have_text(before)
        page.reload()
        expect(page.get_by_text("1 step moved by you.")).to_be_visible()
        page.get_by_role("button", name="Plan all anew").click()
        expect(soak).to_have_text(before)
        bar = page.locator(".line .bar").first
        bar.scroll_into_view_if_needed()
        box = bar.bounding_box()
        assert box is not None
        page.mouse.move(box["x"] + 3, box["y"] + 6)
        page.mouse.down()
        page.mouse.move(box["x"] - 60, box["y"] + 6, steps=4)
        page.mouse.up()
        expect(page.get_by_text("1 step moved by you.")).to_be_visible()
        expect(page.get_by_text("begin at")).not_to_have_text(begun)
        page.get_by_role("button", name="Plan all anew").click()
        expect(page.get_by_text("begin at")).to_have_text(begun)
        # Where it can't be it says why, and stays.
        cool = page.get_by_role("button", name=re.compile("Cool in the tin.*arrow left or right"))
        stood = cool.inner_text()
        cool.press("ArrowRight")
        expect(page.get_by_text("It can’t begin at")).to_be_visible()
        expect(cool).to_have_text(stood)
        self.assertEqual(self.problems, [])

    def test_what_cannot_be_leaves_an_earlier_days_moves(self) -> None:
        page = self.open(DAY)
        page.get_by_role("button", name=re.compile("For the date paste.*arrow left or right")).press("ArrowLeft")
        expect(page.get_by_text("1 step moved by you.")).to_be_visible()
        page.reload()
        expect(page.get_by_text("1 step moved by you.")).to_be_visible()
        page.get_by_role("button", name=re.compile("Cool in the tin.*arrow left or right")).press("ArrowRight")
        expect(page.get_by_text("It can’t begin at")).to_be_visible()
        expect(page.get_by_text("1 step moved by you.")).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_two_bakes_for_one_table(self) -> None:
        page = self.open("/recipes/3/bake-day/5")
        expect(page.get_by_text("begin at")).to_be_visible()
        page.get_by_label("on the table at").fill("2031-03-09T16:00")
        # Kept before the page is left: on a busy machine leaving is quicker.
        with page.expect_response(lambda r: r.url.endswith("/api/settings") and r.request.method == "PATCH"):
            page.get_by_label("on the table at").blur()
        page.goto(self.address + DAY)
        expect(page.get_by_text("begin at")).to_be_visible()
        alone = page.locator(".line .bar").count()
        page.get_by_label("on one day with").select_option(index=1)
        expect(page.get_by_text("Rye ginger squares: ").first).to_be_visible()
        self.assertGreater(page.locator(".line .bar").count(), alone)
        link = page.get_by_role("link", name="into a calendar").get_attribute("href") or ""
        self.assertIn("Rye ginger squares", page.request.get(self.address + link).text().replace("\r\n ", ""))
        self.assertEqual(self.problems, [])

    def test_this_oven_is_told_once_and_known_from_then_on(self) -> None:
        page = self.open(DAY)
        page.get_by_label("it has a fan").check()
        expect(page.get_by_text("145 °C on your dial (fan)").first).to_be_visible()
        page.get_by_label("hotter at the").select_option("left")
        expect(page.get_by_text("Turn it after 25 minutes: your oven is hotter at the left.")).to_be_visible()
        field = page.get_by_role("textbox", name="How much hotter the oven is")
        field.fill("90")
        field.press("Enter")
        expect(page.get_by_text("−40 to 40 °C")).to_be_visible()
        field.fill("10")
        field.press("Enter")
        expect(page.get_by_text("135 °C on your dial (fan, it runs 10 °C hot)").first).to_be_visible()
        page.get_by_role("link", name="To the counter").click()
        expect(page.get_by_text("135 °C on your dial (fan, it runs 10 °C hot)").first).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_what_is_refused_is_not_lost_and_what_is_not_there_leads_back(self) -> None:
        page = self.open(DAY)
        page.get_by_role("button", name="edit step 1 in your own words").click()
        field = page.get_by_label("Your own words for step 1")
        # Past the field's own limit, as another program may send it.
        field.evaluate(
            "t => { t.removeAttribute('maxlength'); t.value = 'x'.repeat(2500); t.dispatchEvent(new Event('input')) }"
        )
        page.get_by_role("button", name="Keep my words").click()
        expect(page.get_by_text("at most 2000 characters").first).to_be_visible()
        self.assertEqual(len(field.input_value()), 2500)
        page.goto(self.address + "/recipes/999/bake-day/1")
        page.get_by_role("link", name="Back to the shelf").click()
        expect(page.get_by_role("heading", name="Recipes")).to_be_visible()

    def test_a_time_that_cannot_be_kept_offers_one_that_can(self) -> None:
        page = self.open(DAY)
        page.get_by_label("on the table at").fill("2020-01-01T16:00")
        expect(page.get_by_text("the time of serving is past")).to_be_visible()
        page.get_by_role("button", name=re.compile("^Serve at")).click()
        expect(page.get_by_text("begin at")).to_be_visible()

    def test_a_timer_outlives_a_reload_and_rings(self) -> None:
        page = self.open(COUNTER)
        page.evaluate("localStorage.setItem('sun-crumb.counter.2', '5')")
        page.reload()
        expect(page.get_by_text("step 6 of 7")).to_be_visible()
        page.get_by_role("button", name="Start bake 40 to 50 min").click()
        expect(page.get_by_role("timer")).to_have_text(re.compile(r"39:5\d|40:00"))
        page.reload()
        expect(page.get_by_role("timer")).to_have_text(re.compile(r"39:\d\d"))
        # An hour passes while the machine sleeps: the server's word counts, not the page's.
        from datetime import timedelta

        from sqlalchemy import select

        from sun_crumb.store.tables import Timer

        with self.database.transaction() as session:
            for row in session.scalars(select(Timer)):
                row.ends_at -= timedelta(hours=1)
        page.evaluate("document.dispatchEvent(new Event('visibilitychange'))")
        expect(page.get_by_role("timer")).to_have_text(re.compile(r"^\+20:|^\+19:"))
        page.get_by_role("button", name=re.compile("^Stop the timer")).click()
        expect(page.get_by_role("timer")).to_have_count(0)
        self.assertEqual(self.problems, [])

    def test_a_planned_bake_stands_on_today_until_it_is_forgotten(self) -> None:
        page = self.open(DAY)
        expect(page.get_by_text("begin at")).to_be_visible()
        page.get_by_label("on the table at").fill("2031-05-03T16:00")
        page.get_by_label("on the table at").blur()
        expect(page.get_by_text("on the table", exact=True)).to_be_visible()
        page.wait_for_timeout(1500)
        page.goto(self.address + "/")
        expect(page.get_by_role("link", name="Orange semolina cake")).to_be_visible()
        page.get_by_role("button", name="Forget Orange semolina cake").click()
        expect(page.get_by_text("Nothing is planned")).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("link", name="Orange semolina cake")).to_be_visible()

    def test_the_workshop_answers_as_it_is_typed_into(self) -> None:
        page = self.open("/workshop")
        page.get_by_role("button", name="Squeeze").click()
        page.get_by_label("after squeezing").fill("150")
        expect(page.get_by_text("150 g squeezed")).to_be_visible()
        page.get_by_label("after squeezing").fill("400")
        expect(page.get_by_role("alert")).to_contain_text("after")
        page.get_by_role("button", name="Oven", exact=True).click()
        expect(page.get_by_text("with fan")).to_be_visible()
        self.assertEqual([p for p in self.problems if "422" not in p], [])

    def test_wet_hands_hit_what_they_aim_at(self) -> None:
        for size in ("tablet", "phone"):
            page = self.open(COUNTER, size)
            expect(page.get_by_text("step 1 of 7")).to_be_visible()
            for button in page.locator(".buttons button:visible").all():
                box = button.bounding_box()
                assert box is not None
                self.assertGreaterEqual(min(box["height"], box["width"]), 72)
            page.locator("article").click()
            expect(page.get_by_text("step 2 of 7")).to_be_visible()


if __name__ == "__main__":
    unittest.main()
