"""Pantry, labels, files in and out."""

from __future__ import annotations

import re
import unittest

from playwright.sync_api import expect

from tests.web.browser import Screens


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
            "Protein, g": "3.5",
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
        expect(page.locator(".problem", has_text="named only in the method")).to_be_visible()
        enough = page.get_by_label("frosting: enough for how many")
        expect(enough).to_have_value("8")
        page.get_by_role("button", name="Yes, two kinds").click()
        expect(page.get_by_label("Name of kind 1")).to_have_value("with frosting")
        enough.fill("24")
        enough.press("Tab")
        expect(page.get_by_text("the rest is left over")).to_be_visible()

    def test_what_a_line_was_taken_for_stands_beside_it_and_is_changed_with_one_touch(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(
            "Fig bake\n1 tray, cut in 20\n\n200 g plain flour\n150 g sugar\n300 g courgette, grated and squeezed dry"
        )
        expect(page.get_by_label("Line 2, 1 tray, cut in 20, is")).to_have_value("portions")
        expect(page.get_by_label("Portions", exact=True)).to_have_value("20")
        expect(page.get_by_text("of 1 tray")).to_be_visible()
        expect(page.get_by_text("squeezed: 300 g becomes 210 g")).to_be_visible()
        page.get_by_label("Line 5, 150 g sugar, is").select_option("note")
        expect(page.get_by_role("button", name="Change: 150 g sugar")).to_have_count(0)
        page.reload()
        expect(page.get_by_label("Line 5, 150 g sugar, is")).to_have_value("note")
        page.get_by_label("Line 5, 150 g sugar, is").select_option("food")
        expect(page.get_by_role("button", name="Change: 150 g sugar")).to_be_visible()

    def test_a_line_in_conflict_is_in_the_sum_and_a_line_asked_is_not(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(
            "Fig bake\nServes 10\n\n200 g plain flour\n1/3 cup (130 g) white sugar\n½ cup stevia"
        )
        expect(page.get_by_text("1 line in no total yet")).to_be_visible()
        expect(page.locator(".sum")).to_contain_text("without what is asked 13 g free sugar")

    def test_a_number_of_portions_that_is_none_is_told_and_changes_nothing(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(
            "Fig bake\nServes 10\n200 g plain flour\n130 g white sugar"
        )
        portions = page.get_by_label("Portions", exact=True)
        for wrong, told in (("-3", "1 to 1,000"), ("2.5", "a whole number")):
            portions.fill(wrong)
            page.keyboard.press("Tab")
            expect(page.get_by_text(told)).to_be_visible()
            expect(page.locator(".sum")).to_contain_text("13 g free sugar")
        portions.fill("20")
        page.keyboard.press("Tab")
        expect(page.locator(".sum")).to_contain_text("6.5 g free sugar")
        page.get_by_label("The recipe, as it is written").fill("hello there")
        expect(page.get_by_text("No line of this text names a food")).to_be_visible()
        expect(page.get_by_text("every line is decided")).to_have_count(0)


if __name__ == "__main__":
    unittest.main()
