"""The workshop in a real browser: what it made goes into a recipe; pictures; paper; a timer to stir by."""

from __future__ import annotations

import re
import unittest

from playwright.sync_api import expect

from tests.web.browser import Screens

FUDGE = """Honey nuts
Makes 20 pieces

200 g honey
150 g almonds

1. Boil the honey to 118 C.
2. Stir in the almonds and toast at 150 C for 30 minutes, stirring every 10 minutes.
"""
# ISO 216 and the US trade's letter [pt].
SHEETS = {"a4": (595, 842), "letter": (612, 792)}


class Workshop(Screens):
    def test_what_was_made_goes_into_a_recipe_and_to_its_bake_day(self) -> None:
        page = self.open("/workshop?sum=mash")
        page.get_by_label("or as weighed, g").fill("240")
        expect(page.get_by_role("figure", name="What goes in and what comes out")).to_be_visible()
        page.get_by_role("button", name="Use in a recipe").click()
        page.get_by_label("recipe", exact=True).select_option(label="Orange semolina cake")
        page.get_by_label("version", exact=True).select_option(label="Original")
        page.get_by_label("in place of").select_option(index=1)
        page.get_by_role("button", name="Keep as a version").click()
        expect(
            page.get_by_text(re.compile("Kept as “With 240 g mashed .*banana.*” of Orange semolina cake"))
        ).to_be_visible()
        page.get_by_role("button", name="Bake day").click()
        expect(page.get_by_text(re.compile("With 240 g mashed .*banana")).first).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_a_cake_is_cut_and_cut_otherwise(self) -> None:
        page = self.open("/workshop?sum=cut&tin=20 x 30 cm&pieces=8 %2B 12&sugar=100")
        expect(page.get_by_text("Halve it first.")).to_be_visible()
        expect(page.get_by_text("6.25 or 4.17 g of free sugar")).to_be_visible()
        self.assertEqual(page.locator(".cut path").count(), 2)
        page.get_by_label("the tin", exact=True).fill("26 cm round")
        page.get_by_label("pieces (24 or 8 + 12)").fill("32")
        expect(page.get_by_text("Cut a circle 13 cm across first")).to_be_visible()
        page.get_by_label("pieces (24 or 8 + 12)").fill("a lot")
        expect(page.get_by_role("alert")).to_contain_text("is no number of pieces")
        self.assertEqual([p for p in self.problems if "422" not in p], [])

    def test_the_bake_card_fits_the_households_paper(self) -> None:
        page = self.open("/recipes/1/bake-day/2")
        for paper, size in SHEETS.items():
            page.request.patch(f"{self.address}/api/settings", data={"paper": paper})
            page.reload()
            expect(page.get_by_text("begin at")).to_be_visible()
            pdf = page.pdf(prefer_css_page_size=True)
            box = re.search(rb"/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)", pdf)
            assert box is not None
            with self.subTest(paper):
                self.assertEqual(tuple(round(float(n)) for n in box.groups()), size)

    def test_a_timer_to_stir_by_rings_on(self) -> None:
        page = self.open("/")
        read = page.request.post(f"{self.address}/api/read", data={"text": FUDGE}).json()
        lines = [{k: x[k] for k in ("ingredient", "grams", "component", "text")} for x in read["lines"] if x["grams"]]
        made = page.request.post(
            f"{self.address}/api/recipes",
            data={"title": "Honey nuts", "lines": lines, "servings": 20, "unit": "piece", "source_text": FUDGE},
        ).json()
        page.goto(f"{self.address}/recipes/{made['id']}/counter/{made['versions'][0]['id']}")
        page.get_by_role("button", name="Stir every 5 min").click()
        timer = page.get_by_role("timer")
        expect(timer).to_have_text(re.compile(r"4:5\d|5:00"))
        expect(page.get_by_text("Stir, step 1, again in")).to_be_visible()
        page.clock.install()
        page.clock.run_for("05:05")
        expect(timer).to_have_text(re.compile(r"4:\d\d"))
        expect(page.get_by_role("button", name="Stir every 5 min")).to_have_count(0)
        page.get_by_role("button", name=re.compile("^Stop the timer Stir")).click()
        expect(page.get_by_role("timer")).to_have_count(0)


if __name__ == "__main__":
    unittest.main()
