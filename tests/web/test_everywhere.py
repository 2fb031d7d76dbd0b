"""Every place at every size, and what goes wrong."""

from __future__ import annotations

import re
import unittest

from playwright.sync_api import expect

from sun_crumb.app import WEBROOT
from tests.web.browser import AXE, LOAF, PLACES, SIZES, Screens


class Mishaps(Screens):
    def test_bad_text_is_answered_and_kept(self) -> None:
        page = self.open("/bring-in")
        source = page.get_by_label("The recipe, as it is written")
        source.fill("qwerty asdf\nIngredients\nzxcv")
        expect(page.get_by_text("not understood").first).to_be_attached()
        page.evaluate(
            "text => { const t = document.querySelector('#source'); t.value = text; t.dispatchEvent(new Event('input')) }",
            "1 cup sugar\n" * 170_000,
        )
        expect(page.get_by_role("alert")).to_contain_text("far shorter")
        expect(page.get_by_role("alert")).to_contain_text("What you typed is kept")
        source.fill("")
        expect(page.get_by_text("Paste a dessert on the left")).to_be_visible()

    def test_a_recipe_without_sugar_says_so(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(
            "Rusks\nMakes 9 rusks\n300 g plain flour\n100 g butter\n100 ml milk"
        )
        expect(page.get_by_text("every line is decided")).to_be_visible()
        page.get_by_role("button", name="Keep and rework").click()
        expect(page.get_by_role("alert")).to_contain_text("nothing to cut")

    def test_lost_pages_lead_back(self) -> None:
        for path in ("/recipes/9999/bench", "/nowhere"):
            page = self.open(path)
            page.get_by_role("link", name=re.compile("Back to the")).click()
            expect(page.get_by_role("heading", name="Recipes")).to_be_visible()

    def test_a_recipe_taken_off_the_shelf_comes_back(self) -> None:
        page = self.open("/recipes")
        page.get_by_role("button", name="Take Plum crumble off the shelf").click()
        expect(page.get_by_role("link", name="Plum crumble")).to_be_hidden()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("link", name="Plum crumble")).to_be_visible()


class Everywhere(Screens):
    def test_no_place_scrolls_sideways_at_any_size(self) -> None:
        for size in SIZES:
            for path, words in PLACES.items():
                page = self.open(path, size)
                page.get_by_text(words, exact=False).first.wait_for()
                if path == "/bring-in":
                    page.get_by_label("The recipe, as it is written").fill(LOAF)
                    page.get_by_text("lines to decide").wait_for()
                wide = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth")
                with self.subTest(size, path=path):
                    self.assertLessEqual(wide, 0)
                    self.assertEqual(self.problems, [])
                page.close()

    def test_no_bench_scrolls_sideways_on_a_phone_with_all_of_it_open(self) -> None:
        for number in range(1, 7):
            page = self.open(f"/recipes/{number}/bench", "phone")
            page.get_by_text("What a bigger cut costs").click()
            page.get_by_role("button", name=re.compile("^Cut 100 %")).wait_for()
            page.get_by_role("button", name="Side by side").click()
            page.get_by_role("rowheader", name="Cautions").wait_for()
            wide = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth")
            with self.subTest(number):
                self.assertLessEqual(wide, 0)
            page.close()

    def test_axe_finds_nothing_serious(self) -> None:
        for theme in ("morning", "oven"):
            for path, words in PLACES.items():
                page = self.open(path)
                page.evaluate(f"localStorage.setItem('sun-crumb.theme', '\"{theme}\"')")
                page.reload()
                page.get_by_text(words, exact=False).first.wait_for()
                page.wait_for_timeout(300)
                if path.endswith("/bench"):
                    page.get_by_text("What a bigger cut costs").click()
                    page.get_by_role("button", name=re.compile("^Cut 100 %")).wait_for()
                    page.get_by_text("What may be said of it").click()
                    page.get_by_role("button", name="Side by side").click()
                    page.get_by_role("rowheader", name="Cautions").wait_for()
                # Through the driver, past the page's own policy, which would refuse a foreign script tag.
                page.evaluate(AXE.read_text(encoding="utf-8"))
                found = page.evaluate("axe.run(document, {resultTypes: ['violations']})")
                serious = [
                    (v["id"], [n["target"] for n in v["nodes"]][:3])
                    for v in found["violations"]
                    if v["impact"] in ("serious", "critical")
                ]
                with self.subTest(theme, path=path):
                    self.assertEqual(serious, [])
                page.close()

    def test_first_load_stays_small(self) -> None:
        page = self.open("/recipes")
        page.get_by_text("Orange semolina cake").wait_for()
        import gzip

        names = page.evaluate(
            "performance.getEntriesByType('resource').map(e => e.name).filter(n => /\\.(js|css)$/.test(n))"
        )
        size = sum(len(gzip.compress((WEBROOT / "assets" / name.rsplit("/", 1)[1]).read_bytes())) for name in names)
        self.assertLess(size, 220_000)
        self.assertTrue(names)


if __name__ == "__main__":
    unittest.main()
