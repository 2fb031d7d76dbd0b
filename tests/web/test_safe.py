"""Exports opened in a browser run nothing; a damaged row, a long shelf and a copy of everything on the screen."""

from __future__ import annotations

import json
import re
import sqlite3
import tempfile
import unittest
from pathlib import Path
from typing import Any

from playwright.sync_api import expect

from sun_crumb.app import create_app
from sun_crumb.core.formula import total
from sun_crumb.formats.outgoing import Sheet, json_ld, page
from sun_crumb.services import kitchen, recipes
from sun_crumb.services.kept import KeptLine
from tests.web.browser import Screens

MARKUP = "<img src=x onerror=\"document.title='run'\"><script>document.title='run'</script></script>'\"><!--{{7*7}}]]>&"


class Exported(Screens):
    def application(self) -> Any:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        app = create_app(Path(folder.name) / "marked.db")
        self.addCleanup(app.extensions["database"].close)
        return app.test_client()

    def marked_up(self) -> dict[str, str]:
        """Return every export of a recipe with markup in every text that it has."""
        client = self.application()
        short = MARKUP[:40]
        label = {"name": MARKUP[:80], "like": "peanut_butter", "fat_g": 40}
        key = client.post("/api/products", json=label).get_json()["ingredient"]["key"]
        lines = [
            {"ingredient": key, "grams": 50, "component": MARKUP[:80], "text": MARKUP},
            {"ingredient": "white_sugar", "grams": 100, "component": MARKUP[:80], "text": f"mashed {MARKUP}"},
            {"ingredient": "plain_flour", "grams": 100, "component": "x", "text": MARKUP},
        ]
        body = {
            "title": MARKUP,
            "source_text": f"{MARKUP}\n100 g sugar\nMethod\n1. Stir {MARKUP} well.\n2. Bake {MARKUP} for 20 minutes.",
            "servings": 4,
            "unit": short,
            "lines": lines,
            "portions": [{"name": short, "count": 4, "components": [MARKUP[:80], "x"]}],
        }
        recipe = client.post("/api/recipes", json=body).get_json()
        client.post(f"/api/recipes/{recipe['id']}/versions", json={"path": "less", "label": MARKUP[:80]})
        return {
            kind: client.get(f"/api/recipes/{recipe['id']}/export?format={kind}").get_json()["content"]
            for kind in ("html", "csv", "jsonld", "json")
        }

    def assertRunsNothing(self, content: str) -> Any:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        path = Path(folder.name) / "exported.html"
        path.write_text(content, encoding="utf-8")
        window = self.browser.new_page()
        self.addCleanup(window.close)
        window.goto(path.as_uri())
        window.wait_for_timeout(200)
        self.assertNotEqual(window.title(), "run")
        self.assertEqual(window.locator("img, iframe, script:not([type='application/ld+json'])").count(), 0)
        return window

    def test_an_exported_page_with_markup_in_every_text_runs_nothing_and_shows_it(self) -> None:
        files = self.marked_up()
        window = self.assertRunsNothing(files["html"])
        self.assertIn(MARKUP, window.locator("h1").inner_text())
        self.assertIn(MARKUP[:40], window.locator("p").first.inner_text())
        data = json.loads(window.locator("script").inner_text())
        self.assertIn(MARKUP, data["name"])
        self.assertIn(MARKUP, files["csv"].replace('""', '"'))

    def test_every_single_value_of_the_page_is_escaped(self) -> None:
        line = KeptLine(MARKUP, MARKUP, MARKUP, 1.0, MARKUP, MARKUP, MARKUP, False, MARKUP)
        sheet = Sheet(MARKUP, 2, MARKUP, (line,), (MARKUP,), total(()))
        window = self.assertRunsNothing(page(sheet))
        self.assertEqual(json.loads(window.locator("script").inner_text()), json_ld(sheet))


class Kept(Screens):
    def test_a_damaged_recipe_is_told_saved_as_it_is_and_put_away(self) -> None:
        with sqlite3.connect(self.database_path) as connection:
            connection.execute("UPDATE versions SET servings = 0 WHERE recipe_id = 2")
        try:
            page = self.open("/recipes")
            row = page.get_by_role("listitem").filter(has_text="Damaged, and left as it is")
            expect(row).to_contain_text("Plum crumble")
            expect(page.get_by_role("link", name="Orange semolina cake")).to_be_visible()
            with page.expect_download() as download:
                row.get_by_role("button", name="Save Plum crumble as it is stored").click()
            self.assertEqual(json.loads(download.value.path().read_text(encoding="utf-8"))["title"], "Plum crumble")
            row.get_by_role("button", name="Take Plum crumble off the shelf").click()
            expect(row).to_have_count(0)
            page.get_by_role("button", name="Undo").click()
            expect(row).to_be_visible()
            page.goto(f"{self.address}/recipes/2/bench")
            expect(page.get_by_role("alert")).to_contain_text("this recipe is damaged")
        finally:
            with sqlite3.connect(self.database_path) as connection:
                connection.execute("UPDATE versions SET servings = 8 WHERE recipe_id = 2")

    def test_a_copy_of_everything_goes_out_comes_back_and_is_undone(self) -> None:
        page = self.open("/recipes")
        with page.expect_download() as download:
            page.get_by_role("button", name="Save a copy of everything").click()
        backup = download.value.path().read_bytes()
        page.get_by_role("button", name="Take Hazelnut cookies off the shelf").click()
        expect(page.get_by_role("link", name="Hazelnut cookies")).to_have_count(0)
        choose = page.get_by_label("A backup file")
        choose.set_input_files({"name": "all.json", "mimeType": "application/json", "buffer": backup[:500]})
        expect(page.get_by_text(re.compile("not whole JSON"))).to_be_visible()
        choose.set_input_files({"name": "all.json", "mimeType": "application/json", "buffer": backup})
        expect(page.get_by_text("6 recipes and 3 bakes are back.")).to_be_visible()
        expect(page.get_by_role("link", name="Hazelnut cookies")).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("link", name="Hazelnut cookies")).to_have_count(0)
        choose.set_input_files({"name": "all.json", "mimeType": "application/json", "buffer": backup})
        expect(page.get_by_role("link", name="Hazelnut cookies")).to_be_visible()

    def test_a_long_shelf_is_shown_a_window_at_a_time_and_searched_whole(self) -> None:
        for number in range(70):
            lines = [kitchen.PlainLine("white_sugar", 100.0), kitchen.PlainLine("plain_flour", 100.0)]
            recipes.keep_recipe(self.database, recipes.NewRecipe(f"Tea cake {number:02}", lines, 8, "slice"))
        page = self.open("/recipes")
        rows = page.get_by_role("link", name=re.compile("Tea cake|cake|loaf|pudding|cookies|crumble|squares"))
        expect(page.get_by_role("link", name="Tea cake 69")).to_have_count(0)
        page.get_by_role("textbox", name="Find a dessert").fill("cake 69")
        expect(page.get_by_role("link", name="Tea cake 69")).to_be_visible()
        expect(rows).to_have_count(1)
        page.get_by_role("textbox", name="Find a dessert").fill("")
        page.get_by_role("button", name=re.compile("Show more of the other 16")).click()
        expect(page.get_by_role("link", name="Tea cake 69")).to_be_visible()
        expect(page.get_by_role("button", name=re.compile("Show more"))).to_have_count(0)
        self.assertEqual(self.problems, [])


if __name__ == "__main__":
    unittest.main()
