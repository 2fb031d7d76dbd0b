"""From a pasted recipe to the ledger, with a mouse, by keyboard and on a phone."""

from __future__ import annotations

import re
import unittest

from playwright.sync_api import expect

from tests.web.browser import AXE, LOAF, Screens


class Story(Screens):
    def test_paste_decide_cut_keep_bake_eat_and_read_the_ledger(self) -> None:
        page = self.open("/recipes")
        page.get_by_role("link", name="Bring in a recipe").click()
        page.get_by_label("The recipe, as it is written").fill(LOAF)
        expect(page.get_by_text("3 lines to decide")).to_be_visible()
        # The conflict: the cup is right, not the grams.
        page.get_by_role("button", name="1/3 cup: 7").click()
        page.get_by_role("button", name="Leave it out").first.click()
        expect(page.get_by_text("1 line to decide")).to_be_visible()
        page.get_by_role("button", name="Leave it out").first.click()
        expect(page.get_by_text("every line is decided")).to_be_visible()
        # A line that was sure but wrong is mended by hand.
        page.get_by_role("button", name="Change: 150 ml milk").click()
        page.get_by_role("textbox", name="grams").fill("120")
        page.get_by_role("button", name="That’s it").click()
        expect(page.get_by_role("button", name="Change: 150 ml milk")).to_contain_text("120 g")
        page.get_by_role("button", name="Keep and rework").click()

        expect(page.get_by_role("heading", name="Ginger pear loaf")).to_be_visible()
        page.get_by_role("button", name="Which sugar: free sugar").click()
        page.get_by_label("refined sugar").check()
        page.keyboard.press("Escape")
        page.get_by_role("button", name=re.compile("What sweetens it")).click()
        page.get_by_role("checkbox", name="date paste", exact=True).check()
        page.get_by_label("honey", exact=True).check()
        page.keyboard.press("Escape")
        row = page.get_by_role("row", name=re.compile("^Honey|^honey"))
        expect(row).to_contain_text("as sweet as")
        expect(page.get_by_role("row", name=re.compile("date paste", re.I))).to_contain_text(re.compile(r"\d g"))
        expect(page.get_by_role("img", name=re.compile("Free sugar in one slice"))).to_be_visible()
        page.get_by_role("button", name="Keep this version").click()
        page.get_by_role("button", name="I baked it").click()

        expect(page.get_by_role("heading", name="Log a slice")).to_be_visible()
        expect(page.get_by_role("radio", name=re.compile("Ginger pear loaf"))).to_be_checked()
        for _ in range(2):
            page.get_by_role("button", name="Half a portion more").click()
        page.get_by_label("Who").fill("Ada")
        page.get_by_role("button", name="Log it").click()
        expect(page.get_by_text(re.compile(r"2 slices of Ginger pear loaf"))).to_be_visible()
        expect(page.get_by_text("20 portions")).to_be_visible()
        # Undo rather than confirm.
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_text("18 portions")).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_by_keyboard(self) -> None:
        page = self.open("/recipes")
        expect(page.get_by_role("link", name="Orange semolina cake")).to_be_visible()
        page.keyboard.press("/")
        page.keyboard.type("rye")
        expect(page.get_by_role("link", name="Orange semolina cake")).to_be_hidden()
        page.get_by_role("link", name="Rye ginger squares").focus()
        page.keyboard.press("Enter")
        # It opens with the wish of the version kept last.
        expect(page.get_by_role("radio", name=re.compile("^Whole fruit"))).to_be_checked()
        expect(page.get_by_role("button", name="How much to cut: 45 %")).to_be_visible()
        page.keyboard.press("ArrowRight")
        expect(page.get_by_role("button", name="How much to cut: half")).to_be_visible()
        page.keyboard.press("Control+z")
        expect(page.get_by_role("button", name="How much to cut: 45 %")).to_be_visible()
        page.keyboard.press("Control+y")
        expect(page.get_by_role("button", name="How much to cut: half")).to_be_visible()
        page.keyboard.press("1")
        expect(page.get_by_role("radio", name=re.compile("^Whole fruit"))).to_be_checked()
        expect(page.get_by_role("row", name=re.compile("date paste", re.I))).to_be_visible()
        page.keyboard.press("k")
        expect(page.get_by_text("is kept.")).to_be_visible()
        page.keyboard.press("l")
        expect(page.get_by_role("heading", name="Ledger")).to_be_visible()
        page.keyboard.press("?")
        expect(page.get_by_role("heading", name="Keys")).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_doubts_are_walked_by_keyboard_and_survive_a_reload(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(LOAF)
        expect(page.get_by_text("3 lines to decide")).to_be_visible()
        page.get_by_role("heading", name="Ginger pear loaf").click()
        page.keyboard.press("1")
        expect(page.get_by_text("2 lines to decide")).to_be_visible()
        page.keyboard.press("2")
        expect(page.get_by_text("1 line to decide")).to_be_visible()
        page.reload()
        expect(page.get_by_text("1 line to decide")).to_be_visible()
        expect(page.get_by_label("The recipe, as it is written")).to_have_value(LOAF)
        cup = page.get_by_role("combobox", name="cup", exact=True)
        cup.select_option("metric")
        expect(cup).to_have_value("metric")


class OnThePhone(Screens):
    def test_a_slice_is_logged_with_a_few_taps(self) -> None:
        page = self.open("/ledger", "phone")
        # The form stands first, the newest bake is chosen, one portion is set.
        log = page.get_by_role("button", name="Log it")
        expect(log).to_be_in_viewport()
        log.click()
        expect(page.get_by_text("1 serving logged")).to_be_visible()
        # A notice is read, and does not lie over the places at the foot.
        page.evaluate(AXE.read_text(encoding="utf-8"))
        found = page.evaluate("axe.run('.notice', {runOnly: ['color-contrast']})")
        self.assertEqual(found["violations"], [])
        notice = page.locator(".notice .v-snackbar__wrapper").bounding_box()
        places = page.get_by_role("navigation", name="Places").bounding_box()
        assert notice and places
        self.assertLessEqual(notice["y"] + notice["height"], places["y"])
        expect(page.get_by_role("heading", name="Today")).to_be_visible()
        page.get_by_role("button", name=re.compile("^Take back 1 serving of Cardamom")).first.click()
        expect(page.get_by_text("Taken back.")).to_be_visible()

    def test_the_whole_bench_is_reached_by_scrolling_down(self) -> None:
        page = self.open("/recipes/1/bench", "phone")
        for name in ("Sweetness", "White sugar", "By the book", "Mind"):
            part = page.get_by_text(name, exact=name == "By the book").first
            part.scroll_into_view_if_needed()
            expect(part).to_be_in_viewport()
        page.get_by_role("radio", name=re.compile("^Zero")).click()
        expect(page.get_by_role("radio", name=re.compile("^Zero"))).to_be_checked()


if __name__ == "__main__":
    unittest.main()
