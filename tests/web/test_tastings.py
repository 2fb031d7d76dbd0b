"""Tasting, learning and the ledger by day, month and year in a real browser, over the demo's quarter."""

from __future__ import annotations

import base64
import re
from datetime import datetime, timedelta

from playwright.sync_api import Page, expect

from sun_crumb.services import challenges, diary, learning, preferences, progress
from tests.api.test_tastings import jpeg
from tests.web.browser import AXE, Screens

LIVED = {
    "/tastings": "Tastings",
    "/ledger/day": "Something else",
    "/ledger/week": "what as many grams",
    "/ledger/month": "what as many grams",
    "/ledger/year": "Month by month",
    "/household": "What your tastings taught",
}


class Lived(Screens):
    is_lived = True

    def sheet(self, page: Page, **said: str) -> None:
        for aspect, words in said.items():
            page.get_by_role("group", name=aspect, exact=True).get_by_role("button", name=words, exact=True).click()


class Tasting(Lived):
    def test_from_a_bake_to_a_sheet_to_the_next_trial(self) -> None:
        page = self.open("/")
        page.get_by_role("link", name="How was the rye ginger squares?").click()
        expect(page.get_by_role("heading", name="How is it?")).to_be_visible()
        before = len(learning.learned(self.database))
        self.sheet(page, Crumb="gummy", Moisture="wet")
        page.get_by_role("group", name="Again?").get_by_role("button", name="with a change").click()
        page.get_by_label("Who tasted").fill("Ada")
        page.get_by_role("button", name="Keep this sheet").click()
        expect(page.get_by_text("Kept. What it teaches")).to_be_visible()
        expect(page.get_by_role("heading", name="Why “gummy”?")).to_be_visible()
        expect(page.get_by_text(re.compile("Ada, cool: .*crumb: gummy"))).to_be_visible()
        self.assertGreaterEqual(len(learning.learned(self.database)), before)
        page.get_by_role("button", name=re.compile("Try it: less of what brings the water")).first.click()
        expect(page.get_by_text("Kept as a version of its own")).to_be_visible()
        expect(page.get_by_text("not baked yet")).to_be_visible()
        page.get_by_role("button", name="Bake day").click()
        expect(page).to_have_url(re.compile("/bake-day/"))
        self.assertEqual(self.problems, [])

    def test_a_sheet_is_filled_in_by_keyboard_and_taken_back(self) -> None:
        page = self.open("/tastings")
        word = page.get_by_role("group", name="Sweetness").get_by_role("button", name="a little sweeter")
        word.focus()
        page.keyboard.press("Space")
        expect(word).to_have_attribute("aria-pressed", "true")
        page.keyboard.press("Space")
        expect(word).to_have_attribute("aria-pressed", "false")
        page.keyboard.press("Space")
        page.get_by_role("button", name="Keep this sheet").press("Enter")
        expect(page.get_by_role("heading", name="Why “a little sweeter”?")).to_be_visible()
        page.get_by_role("button", name="Take back this sheet").click()
        expect(page.get_by_role("heading", name="How is it?")).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("heading", name="Another taster")).to_be_visible()

    def test_what_was_done_is_kept_and_a_picture_with_it(self) -> None:
        page = self.open("/tastings/3")
        page.get_by_role("button", name="pours").click()
        expect(page.get_by_role("button", name="pours")).to_have_attribute("aria-pressed", "true")
        minutes = page.get_by_label("Minutes that it baked")
        minutes.fill("33")
        minutes.press("Enter")
        page.get_by_role("button", name="stuck to the tin").click()
        notes = page.get_by_label("Notes", exact=True)
        expect(notes).to_have_value(re.compile("stuck to the tin"))
        notes.fill("from the lower shelf")
        notes.blur()
        page.get_by_label("Add a picture").set_input_files(
            {"name": "cake.jpg", "mimeType": "image/jpeg", "buffer": base64.b64decode(jpeg())}
        )
        expect(page.get_by_role("img", name=re.compile("as it came out"))).to_be_visible()
        page.get_by_label("Add a picture").set_input_files(
            {"name": "cake.jpg", "mimeType": "image/jpeg", "buffer": b"a text file"}
        )
        expect(page.get_by_text("this is no picture")).to_be_visible()
        page.reload()
        expect(page.get_by_label("Notes", exact=True)).to_have_value("from the lower shelf")
        expect(page.get_by_label("Minutes that it baked")).to_have_value("33")
        expect(page.get_by_role("img", name=re.compile("as it came out"))).to_have_count(1)

    def test_a_taper_shows_where_it_stands_and_goes_on(self) -> None:
        number = next(
            b.version_id
            for r in range(1, 7)
            for p in [progress.progress(self.database, r)]
            if p.taper
            for b in p.branches[-1:]
        )
        page = self.open("/tastings")
        page.get_by_role("navigation", name="Bakes").get_by_role(
            "link", name=re.compile("Hazelnut cookies")
        ).first.click()
        expect(page.get_by_text("Taper to 40 % less.")).to_be_visible()
        expect(page.get_by_text(re.compile(r"Next: \d+ % less sugar"))).to_be_visible()
        page.get_by_role("button", name="Keep the next step").click()
        expect(page.get_by_text("The next step is kept")).to_be_visible()
        expect(page.get_by_text("not baked yet")).to_be_visible()
        newest = progress.progress(self.database, self._recipe_of("Hazelnut cookies")).branches[-1]
        self.assertGreater(newest.version_id, number)

    def _recipe_of(self, title: str) -> int:
        return next(n for n in range(1, 7) if progress.progress(self.database, n).title == title)

    def test_two_versions_stand_side_by_side(self) -> None:
        page = self.open("/tastings/8")
        other = page.get_by_label("The bake beside it")
        option = other.get_by_role("option", name=re.compile("Orange semolina cake, Trial 2")).last
        other.select_option(option.get_attribute("value") or "")
        row = page.get_by_role("row", name=re.compile("^Crumb"))
        expect(row).to_contain_text("just right")
        expect(page.get_by_role("row", name=re.compile("^Batter"))).to_contain_text("poured")
        expect(page.get_by_role("row", name=re.compile("^In the oven"))).to_contain_text("34 min")

    def test_two_bakes_are_told_apart(self) -> None:
        page = self.open("/tastings/6")
        page.get_by_text("For the strict").click()
        page.get_by_role("button", name="Note it").click()
        expect(page.get_by_text(re.compile("4 of 6: no difference can be told, guessing does as well"))).to_be_visible()


class Days(Lived):
    def test_a_slip_takes_three_taps_and_can_be_taken_back(self) -> None:
        page = self.open("/ledger/day")
        page.get_by_role("button", name="a spoon of ketchup").click()
        page.get_by_role("button", name="Log 3.7 g").click()
        expect(page.get_by_text("a spoon of ketchup: 3.7 g of free sugar noted.")).to_be_visible()
        row = page.get_by_role("listitem").filter(has_text="a spoon of ketchup")
        expect(row).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(row).to_be_hidden()

    def test_a_month_by_person_and_definition(self) -> None:
        page = self.open("/ledger/month")
        page.get_by_label("Earlier").click()
        big = page.locator(".huge")
        before = datetime.now().replace(day=1) - timedelta(days=1)
        page.get_by_text(before.strftime("%B %Y")).wait_for()
        month = diary.span(self.database, before.date().replace(day=1), before.date(), "day").total.sugar_g
        expect(big).to_have_text(f"{month:,.0f} g")
        whole = big.inner_text()
        page.get_by_label("counting").select_option("refined sugar")
        expect(big).not_to_have_text(whole)
        page.get_by_label("counting").select_option("free sugar")
        expect(big).to_have_text(whole)
        page.get_by_label("Whose").select_option("Bo")
        expect(big).not_to_have_text(whole)
        page.get_by_text("Day by day, as a table").click()
        # The chart's days stand in the table too.
        rows = page.get_by_role("region", name="Sums by day").get_by_role("row")
        self.assertGreater(rows.count(), 5)

    def test_a_diary_goes_out_as_a_file_and_comes_in_once(self) -> None:
        page = self.open("/ledger/month")
        with page.expect_download() as got:
            page.get_by_role("link", name="CSV").click()
        page.get_by_label("bring in").set_input_files(got.value.path())
        expect(page.get_by_text(re.compile("0 rows came in, [0-9]+ were there already"))).to_be_visible()

    def test_an_aim_for_some_days(self) -> None:
        page = self.open("/ledger/day")
        page.get_by_label(re.compile("An aim")).fill("only fruit in the evening")
        page.get_by_role("button", name="Begin").click()
        expect(page.get_by_text("only fruit in the evening: 1 of 1 days without a slip")).to_be_visible()
        page.get_by_role("button", name="put away only fruit in the evening").click()
        expect(page.get_by_text("only fruit in the evening:")).to_be_hidden()
        self.assertEqual([c.name for c in challenges.challenges(self.database)], ["No bought sweets this fortnight"])

    def test_a_persons_limit_follows_age_and_authority(self) -> None:
        page = self.open("/household")
        bo = page.get_by_role("article").filter(has_text="Bo")
        expect(bo.get_by_text("24 g", exact=True)).to_be_visible()
        page.get_by_label("Age of Bo").select_option("4 to 6 years")
        expect(bo.get_by_text("19 g", exact=True)).to_be_visible()
        page.get_by_label("A name").fill("Ines")
        page.get_by_role("button", name="Add", exact=True).click()
        expect(page.get_by_role("heading", name="Ines")).to_be_visible()
        page.get_by_role("button", name="take off Ines").click()
        expect(page.get_by_role("heading", name="Ines")).to_be_hidden()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("heading", name="Ines")).to_be_visible()

    def test_ovens_scale_and_scoops_are_kept_in_one_place(self) -> None:
        page = self.open("/household")
        page.get_by_label("it has a fan").check()
        for name in ("the big oven", "the small one"):
            page.get_by_label("The name of an oven").fill(name)
            page.get_by_role("button", name="Add the oven").click()
            expect(page.get_by_label("you bake in")).to_have_value(name)
        expect(page.get_by_label("it has a fan")).not_to_be_checked()
        page.get_by_label("you bake in").select_option("the big oven")
        expect(page.get_by_label("it has a fan")).to_be_checked()
        page.get_by_label("heat in").select_option("f")
        hotter = page.get_by_label("How much hotter the oven is than its dial, in °F")
        hotter.fill("18")
        hotter.press("Enter")
        expect(hotter).to_have_value("18")
        page.get_by_label("Scoops that you own").fill("40")
        page.get_by_label("Scoops that you own").press("Enter")
        expect(page.get_by_text("40", exact=True)).to_be_visible()
        own = preferences.get_settings(self.database)
        self.assertEqual(
            (own.oven_offset_c, own.scoops, [one.name for one in own.ovens]),
            (10.0, [40], ["the big oven", "the small one"]),
        )
        page.get_by_label("Scoops that you own").fill("400")
        page.get_by_label("Scoops that you own").press("Enter")
        expect(page.get_by_text("scoops have the numbers 4 to 100, not 400", exact=False)).to_be_visible()
        self.problems.clear()

    def test_what_was_learned_is_forgotten_and_learned_again(self) -> None:
        page = self.open("/household")
        expect(page.get_by_text(re.compile("You like things [0-9]+ % as sweet"))).to_be_visible()
        page.get_by_role("button", name="Forget it").click()
        expect(page.get_by_text("Nothing yet. After a tasting")).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_text(re.compile("You like things [0-9]+ % as sweet"))).to_be_visible()

    def test_lived_places_fit_and_axe_finds_nothing_serious(self) -> None:
        for size in ("laptop", "tablet", "phone"):
            for path, words in LIVED.items():
                page = self.open(path, size)
                page.get_by_text(words, exact=False).first.wait_for()
                page.wait_for_timeout(300)
                wide = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth")
                with self.subTest(size, path=path):
                    self.assertLessEqual(wide, 0)
                    self.assertEqual(self.problems, [])
                    if size == "laptop":
                        page.evaluate(AXE.read_text(encoding="utf-8"))
                        found = page.evaluate("axe.run(document, {resultTypes: ['violations']})")
                        serious = [v["id"] for v in found["violations"] if v["impact"] in ("serious", "critical")]
                        self.assertEqual(serious, [])
                page.close()
