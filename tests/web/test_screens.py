"""The real screens in real Chromium, on the built front end with the demo data."""

from __future__ import annotations

import re
import shutil
import tempfile
import threading
import unittest
from pathlib import Path
from typing import Any, ClassVar

from playwright.sync_api import Browser, Page, Playwright, expect, sync_playwright
from waitress import create_server

from sun_crumb.app import WEBROOT, create_app
from sun_crumb.demo import fill

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
SIZES = {"laptop": (1280, 800), "tablet": (1024, 768), "phone": (390, 844)}
PLACES = {
    "/recipes": "Orange semolina cake",
    "/bring-in": "Paste a dessert on the left",
    "/recipes/1/bench": "White sugar",
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

    @classmethod
    def setUpClass(cls) -> None:
        if not (WEBROOT / "index.html").is_file():
            raise AssertionError("the screens are not built: run make build")
        folder = tempfile.TemporaryDirectory()
        cls.addClassCleanup(folder.cleanup)
        app = create_app(Path(folder.name) / "demo.db", is_demo=True)
        fill(app.extensions["database"])
        cls.addClassCleanup(app.extensions["database"].close)
        server: Any = create_server(app, host="127.0.0.1", port=0, threads=8)
        threading.Thread(target=server.run, daemon=True).start()
        cls.addClassCleanup(server.close)
        cls.address = f"http://127.0.0.1:{server.effective_port}"
        cls.playwright = sync_playwright().start()
        cls.addClassCleanup(cls.playwright.stop)
        cls.browser = cls.playwright.chromium.launch(executable_path=shutil.which("chromium"))
        cls.addClassCleanup(cls.browser.close)

    def open(self, path: str, size: str = "laptop") -> Page:
        width, height = SIZES[size]
        page = self.browser.new_page(viewport={"width": width, "height": height}, reduced_motion="reduce")
        page.set_default_timeout(10_000)
        self.addCleanup(page.close)
        self.problems: list[str] = []
        page.on("pageerror", lambda error: self.problems.append(str(error)))
        page.on("console", lambda m: self.problems.append(m.text) if m.type == "error" else None)
        page.on(
            "request", lambda r: self.problems.append(r.url) if not r.url.startswith((self.address, "data:")) else None
        )
        page.goto(self.address + path)
        return page


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
        page.get_by_role("checkbox", name="date paste").check()
        page.get_by_label("honey", exact=True).check()
        page.keyboard.press("Escape")
        row = page.get_by_role("row", name=re.compile("^Honey|^honey"))
        expect(row).to_contain_text("as sweet as")
        expect(page.get_by_role("row", name=re.compile("date paste", re.I))).to_contain_text("tbsp")
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
        expect(page.get_by_role("radio", name=re.compile("^Blend"))).to_be_checked()
        expect(page.get_by_role("button", name="How much to cut: half")).to_be_visible()
        page.keyboard.press("ArrowRight")
        expect(page.get_by_role("button", name="How much to cut: 55 %")).to_be_visible()
        page.keyboard.press("Control+z")
        expect(page.get_by_role("button", name="How much to cut: half")).to_be_visible()
        page.keyboard.press("Control+y")
        expect(page.get_by_role("button", name="How much to cut: 55 %")).to_be_visible()
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

    def test_the_same_tin_is_cut_again_and_a_kept_version_opens(self) -> None:
        page = self.open("/recipes/1/bench")
        expect(page.get_by_role("img", name=re.compile("Free sugar in one square: 12 g"))).to_be_visible()
        page.get_by_role("button", name=re.compile("1 kept")).click()
        page.get_by_label("Portions of the whole").fill("32")
        page.keyboard.press("Tab")
        expect(page.get_by_role("img", name=re.compile("Free sugar in one square: 6"))).to_be_visible()
        page.get_by_label("Portions of the whole").fill("16")
        page.keyboard.press("Tab")
        expect(page.get_by_role("img", name=re.compile("Free sugar in one square: 12 g"))).to_be_visible()
        page.get_by_role("link", name="For the school fair").click()
        expect(
            page.get_by_role("button", name=re.compile("What sweetens it: honey, date paste and unsweetened"))
        ).to_be_visible()

    def test_a_locked_line_stays(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("radio", name=re.compile("^Less of everything")).click()
        expect(page.get_by_role("row", name=re.compile("plain yoghurt", re.I))).to_contain_text("moisture")
        page.get_by_role("button", name="Keep plain yoghurt at 245 g").click()
        expect(page.get_by_role("row", name=re.compile("plain yoghurt", re.I))).not_to_contain_text("moisture")

    def test_a_typed_amount_is_kept_and_the_rest_follows(self) -> None:
        page = self.open("/recipes/1/bench")
        field = page.get_by_label("Grams of egg")
        expect(field).to_have_value("100")
        field.fill("150")
        field.press("Enter")
        row = page.get_by_role("row", name=re.compile("^Egg", re.I))
        expect(row).to_contain_text("set by you")
        expect(page.get_by_role("button", name=re.compile("^Keep egg at"))).to_have_attribute("aria-pressed", "true")
        # An arrow steps by half an egg; nonsense is refused in place and changes nothing.
        field.press("ArrowDown")
        expect(field).to_have_value("125")
        field.fill("-3")
        field.press("Enter")
        expect(page.get_by_text("0 to 100,000 g")).to_be_visible()
        expect(row).to_contain_text("set by you")
        page.keyboard.press("Escape")
        expect(field).to_have_value("125")
        page.get_by_role("button", name="Undo").click()
        page.get_by_role("button", name="Undo").click()
        expect(field).to_have_value("100")

    def test_paths_side_by_side_by_keyboard(self) -> None:
        page = self.open("/recipes/1/bench")
        expect(page.get_by_role("heading", name=re.compile("balance"))).to_be_visible()
        page.keyboard.press("s")
        table = page.get_by_role("region", name="Paths side by side")
        expect(table.get_by_role("row", name=re.compile("^Free sugar, UK"))).to_be_visible()
        for name in ("Whole fruit", "Less of everything", "Unrefined", "Zero-calorie", "Blend"):
            expect(table.get_by_role("columnheader", name=re.compile(f"^{name}"))).to_be_visible()
        table.get_by_role("button", name="Zero-calorie").click()
        expect(page.get_by_role("radio", name=re.compile("^Zero"))).to_be_checked()
        page.keyboard.press("s")
        expect(table).to_have_count(0)

    def test_what_can_not_be_had_is_answered_with_what_can(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("radio", name=re.compile("^Whole fruit")).click()
        page.get_by_role("button", name=re.compile("How much to cut")).click()
        for _ in range(8):
            page.get_by_role("slider", name="Cut by").press("ArrowRight")
        page.keyboard.press("Escape")
        page.get_by_role("button", name="What would make it possible?").click()
        offers = page.get_by_role("list", name="What would make it possible")
        expect(offers).to_be_visible(timeout=20000)
        offers.get_by_role("button", name=re.compile("a cut of")).click()
        expect(page.get_by_role("heading", name="In balance", exact=True)).to_be_visible()

    def test_the_curve_of_cuts_is_drawn_and_taken_by_key(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_text("What a bigger cut costs").click()
        point = page.get_by_role("button", name=re.compile("^Cut 30 %"))
        expect(point).to_be_visible(timeout=20000)
        point.press("Enter")
        expect(page.get_by_role("button", name="How much to cut: 30 %")).to_be_visible()

    def test_wishes_and_limits_in_the_sentence(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name=re.compile("^What must be in or out")).click()
        page.get_by_label("Put in").fill("walnuts")
        page.get_by_role("option", name=re.compile("^walnuts")).click()
        expect(page.get_by_role("row", name=re.compile("^Walnuts", re.I))).to_contain_text("put in, as you asked")
        page.keyboard.press("Escape")
        page.get_by_role("button", name="Leave out walnuts").click()
        expect(page.get_by_role("button", name="What must be in or out: no walnuts")).to_be_visible()
        page.get_by_role("button", name=re.compile("^What a portion may hold")).click()
        page.get_by_label("Energy at most, kcal").fill("60")
        page.keyboard.press("Tab")
        expect(page.get_by_text("at most 60 was asked")).to_be_visible()

    def test_two_versions_line_by_line(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name=re.compile("1 kept")).click()
        page.get_by_role("button", name="Compare two versions", exact=True).click()
        sheet = page.get_by_role("dialog", name="Two versions compared")
        expect(sheet.get_by_role("row", name=re.compile("white sugar", re.I))).to_contain_text("less")
        expect(sheet.get_by_role("row", name=re.compile("^Free sugar"))).to_contain_text("%")
        sheet.get_by_label("Second version").select_option("Original")
        expect(sheet.get_by_text("less")).to_have_count(0)

    def test_another_kind_of_dessert_can_be_chosen(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_label("Kind of dessert").select_option("brownie")
        expect(page.get_by_label("Kind of dessert")).to_have_value("brownie")
        expect(page.get_by_role("button", name="Undo")).to_be_enabled()


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
        expect(page.get_by_text("Today", exact=True)).to_be_visible()
        page.get_by_role("button", name=re.compile("^Take back 1 serving of Cardamom")).first.click()
        expect(page.get_by_text("Taken back.")).to_be_visible()

    def test_the_whole_bench_is_reached_by_scrolling_down(self) -> None:
        page = self.open("/recipes/1/bench", "phone")
        for name in ("Sweetness", "White sugar", "By the book", "Mind"):
            part = page.get_by_text(name, exact=False).first
            part.scroll_into_view_if_needed()
            expect(part).to_be_in_viewport()
        page.get_by_role("radio", name=re.compile("^Zero")).click()
        expect(page.get_by_role("radio", name=re.compile("^Zero"))).to_be_checked()


class Looks(Screens):
    def test_the_late_oven_colours_stay_chosen(self) -> None:
        page = self.open("/recipes")
        page.get_by_role("button", name="Late oven colours").click()
        expect(page.locator(".v-theme--oven").first).to_be_attached()
        page.reload()
        expect(page.get_by_role("button", name="Morning colours")).to_be_visible()

    def test_the_sun_sinks_as_the_cut_grows(self) -> None:
        page = self.open("/recipes/1/bench")
        sun = page.locator("g.now")
        expect(sun).to_have_attribute("style", re.compile("translate"))
        page.get_by_role("radio", name=re.compile("^Less")).click()
        expect(page.get_by_role("button", name="How much to cut: 30 %")).to_be_visible()
        page.wait_for_timeout(600)
        heights = [sun.bounding_box()]
        page.get_by_role("button", name=re.compile("How much to cut")).click()
        for _ in range(6):
            page.get_by_role("slider", name="Cut by").press("ArrowRight")
        page.keyboard.press("Escape")
        expect(page.get_by_role("button", name="How much to cut: 60 %")).to_be_visible()
        page.wait_for_timeout(900)
        heights.append(sun.bounding_box())
        high, low = (h["y"] for h in heights if h)
        self.assertGreater(low, high + 5)
        expect(page.get_by_role("list", name=re.compile("Balance"))).to_contain_text("as sweet")

    def test_every_figure_can_be_seen(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_text("All the figures").click()
        table = page.get_by_role("table").last
        for name in ("Free sugar, UK", "Added sugar, US", "Refined sugar", "Sweetness", "Water"):
            expect(table.get_by_role("row", name=re.compile(name))).to_be_visible()

    def test_the_daily_limit_moves_the_horizon(self) -> None:
        page = self.open("/ledger")
        page.get_by_label("Daily limit of free sugar").select_option("50")
        expect(page.get_by_text("a day’s limit for one, 50 g")).to_be_visible()
        page.goto(f"{self.address}/recipes/1/bench")
        expect(page.get_by_text("a day’s limit, 50 g")).to_be_visible()
        page.goto(f"{self.address}/ledger")
        page.get_by_label("Daily limit of free sugar").select_option("25")
        expect(page.get_by_text("a day’s limit for one, 25 g")).to_be_visible()


class PantryAndFiles(Screens):
    def test_an_ingredient_with_its_sources(self) -> None:
        page = self.open("/pantry")
        page.get_by_role("textbox", name="Find a food by any of its names").fill("bicarb")
        page.get_by_role("button", name=re.compile("^baking soda")).click()
        expect(page.get_by_role("heading", name="baking soda")).to_be_visible()
        expect(page.get_by_role("article")).to_contain_text("bicarbonate of soda")
        expect(page.get_by_text("Source:")).to_be_visible()

    def test_a_product_from_its_label_and_its_contradiction(self) -> None:
        page = self.open("/pantry?tab=label")
        page.get_by_label("Name of the product").fill("Corner shop fruit yoghurt")
        page.get_by_label("It is something like").fill("fruit yog")
        page.get_by_role("option", name=re.compile("^fruit yoghurt")).click()
        for name, value in {
            "Carbohydrate, g": "12",
            "of which sugars, g": "15",
            "Fat, g": "3",
            "Protein, g": "3,5",
        }.items():
            page.get_by_label(name, exact=True).fill(value)
        expect(page.get_by_text("are more than the carbohydrate")).to_be_visible()
        page.get_by_label("of which sugars, g", exact=True).fill("11")
        expect(page.get_by_text("are more than the carbohydrate")).to_be_hidden()
        page.get_by_role("button", name="Keep it in my pantry").click()
        expect(page.get_by_role("heading", name="Corner shop fruit yoghurt")).to_be_visible()
        page.get_by_role("button", name="Put it away").click()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("button", name=re.compile("^Corner shop fruit yoghurt"))).to_be_visible()

    def test_sweeteners_at_equal_sweetness(self) -> None:
        page = self.open("/pantry?tab=sweeteners")
        row = page.get_by_role("row", name=re.compile("^honey"))
        expect(row).to_contain_text("130 g")
        page.get_by_label("Grams of sugar").fill("200")
        expect(row).to_contain_text("259 g")
        page.get_by_label("Price of a kilogram of honey").fill("10")
        page.keyboard.press("Tab")
        expect(row).to_contain_text("2.6")

    def test_a_file_in_kinds_of_portion_and_files_out(self) -> None:
        page = self.open("/bring-in")
        text = "Loaf\nMakes 8 slices\nFor the loaf:\n200 g plain flour\n150 g sugar\n100 g butter\nFor the glaze:\n50 g icing sugar"
        page.get_by_label("A recipe file").set_input_files(
            {"name": "loaf.txt", "mimeType": "text/plain", "buffer": text.encode()}
        )
        expect(page.get_by_text("every line is decided")).to_be_visible()
        page.get_by_role("button", name="Some are different").click()
        page.get_by_label("How many of kind 1").fill("6")
        page.keyboard.press("Tab")
        expect(page.get_by_text("2 slices too many")).to_be_visible()
        page.get_by_label("How many of kind 2").fill("2")
        page.keyboard.press("Tab")
        page.get_by_role("button", name="Keep and rework").click()
        page.get_by_role("button", name=re.compile("the original")).click()
        expect(page.get_by_text("6 plain: ")).to_be_visible()
        with page.expect_download() as download:
            page.get_by_role("button", name="JSON-LD", exact=True).click()
        self.assertIn("schema.org", download.value.path().read_text(encoding="utf-8"))

    def test_a_component_for_fewer_portions_and_food_only_in_the_method(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(
            "Cupcakes\nMakes 12 cupcakes\n200 g plain flour\n150 g sugar\nFrosting (for 8 cupcakes):\n80 g icing sugar\n"
            "Method\nBake 20 minutes, then dust with 1 tbsp cocoa."
        )
        expect(page.get_by_text("1 line to decide")).to_be_visible()
        expect(page.get_by_text("named only in the method")).to_be_visible()
        enough = page.get_by_label("frosting: enough for how many")
        expect(enough).to_have_value("8")
        page.get_by_role("button", name="Yes, two kinds").click()
        expect(page.get_by_label("Name of kind 1")).to_have_value("with frosting")
        enough.fill("24")
        enough.press("Tab")
        expect(page.get_by_text("the rest is left over")).to_be_visible()


class Mishaps(Screens):
    def test_bad_text_is_answered_and_kept(self) -> None:
        page = self.open("/bring-in")
        source = page.get_by_label("The recipe, as it is written")
        source.fill("qwerty asdf\nzxcv")
        expect(page.get_by_text("not understood").first).to_be_attached()
        page.evaluate(
            "text => { const t = document.querySelector('#source'); t.value = text; t.dispatchEvent(new Event('input')) }",
            "1 cup sugar\n" * 170_000,
        )
        expect(page.get_by_role("alert")).to_contain_text("far shorter", timeout=20_000)
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
            page.get_by_role("button", name=re.compile("^Cut 100 %")).wait_for(timeout=20000)
            page.get_by_role("button", name="Side by side").click()
            page.get_by_role("rowheader", name="Cautions").wait_for(timeout=20000)
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
                    page.get_by_role("button", name=re.compile("^Cut 100 %")).wait_for(timeout=20000)
                    page.get_by_text("What may be said of it").click()
                    page.get_by_role("button", name="Side by side").click()
                    page.get_by_role("rowheader", name="Cautions").wait_for(timeout=20000)
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
