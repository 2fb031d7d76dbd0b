"""The Bench: locks, typed amounts, paths side by side, wishes, versions; and what it looks like."""

from __future__ import annotations

import re
import unittest

from playwright.sync_api import Locator, Page, expect

from tests.web.browser import Screens


class Bench(Screens):
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
        page.get_by_role("link", name="For the school fair", exact=True).click()
        expect(
            page.get_by_role("button", name=re.compile("What sweetens it: honey, date paste and unsweetened"))
        ).to_be_visible()

    def test_a_locked_line_stays(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("radio", name=re.compile("^Less of everything")).click()
        expect(page.get_by_role("row", name=re.compile("plain yoghurt", re.I))).to_contain_text("moisture")
        page.get_by_role("button", name="Keep plain yoghurt at 245 g").click()
        expect(page.get_by_role("row", name=re.compile("plain yoghurt", re.I))).not_to_contain_text("moisture")

    def test_it_opens_where_the_baker_was(self) -> None:
        page = self.open("/recipes/1/bench")
        # The version that the household kept last: half the sugar, with honey, date paste and apple.
        expect(page.get_by_role("button", name=re.compile("^What sweetens it"))).to_contain_text("honey")
        page.get_by_role("radio", name=re.compile("^Less of everything")).click()
        field = self.amount(page, "egg")
        field.fill("150")
        field.press("Enter")
        row = page.get_by_role("row", name=re.compile("^Egg", re.I))
        expect(row).to_contain_text("set by you")
        page.reload()
        expect(page.get_by_role("radio", name=re.compile("^Less of everything"))).to_have_attribute(
            "aria-checked", "true"
        )
        expect(row).to_contain_text("set by you")
        self.settle(page)
        page.get_by_role("button", name=re.compile("1 kept, newest")).click()
        page.get_by_role("link", name="For the school fair", exact=True).click()
        expect(page.get_by_role("radio", name=re.compile("^Blend"))).to_have_attribute("aria-checked", "true")
        expect(row).not_to_contain_text("set by you")

    def test_the_versions_fit_a_phone(self) -> None:
        page = self.open("/recipes/1/bench", "phone")
        page.get_by_role("button", name=re.compile("1 kept, newest")).click()
        buttons = page.get_by_role("button", name=re.compile("^I baked "))
        expect(buttons).to_have_count(2)
        for button in buttons.all():
            box = button.bounding_box()
            self.assertTrue(box and box["x"] >= 0 and box["x"] + box["width"] <= 390, box)

    def test_a_doubtful_kind_is_asked_and_the_answer_goes_along_to_the_bench(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(
            "Tea time rounds\nMakes 20\n280 g plain flour\n225 g butter\n250 g white sugar\n2 eggs\n1 tsp baking soda"
        )
        asked = page.get_by_text("What kind of dessert is it?")
        expect(asked).to_be_visible()
        page.get_by_role("button", name="butter cake", exact=True).click()
        expect(asked).to_have_count(0)
        expect(page.get_by_text("taken for a butter cake")).to_be_visible()
        page.get_by_role("button", name="Keep and rework").click()
        expect(page.get_by_label("Kind of dessert")).to_have_value("butter_cake")
        expect(page.get_by_text("What kind of dessert is it?")).to_have_count(0)

    def test_a_recipe_without_sugar_is_judged_by_itself(self) -> None:
        page = self.open("/bring-in")
        page.get_by_label("The recipe, as it is written").fill(
            "Banana bake\nMakes 10 slices\n250 g oat flour\n350 g ripe bananas, mashed\n2 eggs\n50 ml olive oil\n2 tbsp baking soda\nBake for 50 minutes."
        )
        page.get_by_role("button", name="Keep and rework").click()
        judged = page.get_by_role("region", name="Judged by itself")
        expect(judged).to_contain_text("more soda than its acid can meet")
        expect(judged.get_by_role("listitem").filter(has_text="baking soda:")).to_contain_text("instead of")
        judged.get_by_label("Kind of dessert").select_option("pancake")
        expect(judged).to_contain_text("pancake")

    def amount(self, page: Page, name: str) -> Locator:
        """Open the field of a line's amount and return it."""
        page.get_by_role("button", name=re.compile(f"^Grams of {name}: ")).click()
        return page.get_by_role("textbox", name=f"Grams of {name}")

    def test_amounts_of_a_thousand_grams_and_more_in_either_way_of_writing(self) -> None:
        page = self.open("/recipes/1/bench")
        shown = page.get_by_role("button", name=re.compile("^Grams of fine semolina: "))
        for sign, typed, wanted in (
            (",", "1.300", "1.300 g"),
            (",", "1.250,5", "1.251 g"),
            (".", "1,300", "1,300 g"),
            (".", "1031", "1,031 g"),
        ):
            switch = page.get_by_role("button", name=re.compile("^Numbers are written as"))
            if switch.inner_text() != f"1{sign}5":
                # The screen is made anew, and the plan asked for: what is typed before that is typed in the old one.
                with page.expect_response(re.compile("/rework$")):
                    switch.click()
                expect(switch).to_have_text(f"1{sign}5")
            field = self.amount(page, "fine semolina")
            field.fill(typed)
            field.press("Enter")
            expect(page.get_by_role("row", name=re.compile("^Fine semolina", re.I))).to_contain_text("set by you")
            field.press("Tab")
            expect(shown).to_have_text(wanted)
            width = shown.evaluate("b => [b.scrollWidth, b.clientWidth]")
            self.assertLessEqual(width[0], width[1] + 1)

    def test_a_typed_amount_is_kept_and_the_rest_follows(self) -> None:
        page = self.open("/recipes/1/bench")
        shown = page.get_by_role("button", name=re.compile("^Grams of egg: "))
        expect(shown).to_have_text("100 g")
        field = self.amount(page, "egg")
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
        expect(shown).to_have_text("125 g")
        page.get_by_role("button", name="Undo").click()
        page.get_by_role("button", name="Undo").click()
        expect(shown).to_have_text("100 g")

    def test_an_amount_of_what_came_in_is_typed_stepped_kept_and_let_go(self) -> None:
        page = self.open("/recipes/1/bench")
        shown = page.get_by_role("button", name=re.compile("^Grams of date paste: "))
        field = self.amount(page, "date paste")
        field.fill("80")
        field.press("Enter")
        row = page.get_by_role("row", name=re.compile("^Date paste", re.I))
        expect(row).to_contain_text("set by you")
        expect(row).to_contain_text("as sweet as 33 g of sugar")
        keep = page.get_by_role("button", name="Keep date paste at 80 g")
        expect(keep).to_have_attribute("aria-pressed", "true")
        field.press("ArrowUp")
        expect(field).not_to_have_value("80")
        expect(row).to_contain_text("set by you")
        page.get_by_role("button", name="Undo").click()
        expect(shown).to_have_text("80 g")
        keep.press("Enter")
        expect(row).not_to_contain_text("set by you")
        expect(page.get_by_role("columnheader", name="by the book")).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_a_diet_swaps_what_it_rules_out_and_says_so(self) -> None:
        page = self.open("/recipes/3/bench")
        fruit = page.get_by_role("radio", name=re.compile("^Whole fruit"))
        expect(page.get_by_role("row", name=re.compile("^Butter Keep", re.I))).not_to_contain_text("left out")
        page.get_by_role("button", name=re.compile("^Who eats it")).click()
        vegan = page.get_by_label("vegan", exact=True)
        vegan.click()
        expect(vegan).to_be_checked()
        page.keyboard.press("Escape")
        # The small suns follow who eats it, not the wish.
        expect(fruit).to_contain_text("falls short")
        expect(page.get_by_role("row", name=re.compile("^Butter Keep", re.I))).to_contain_text("left out for “vegan”")
        expect(page.get_by_role("row", name=re.compile("^Flax egg", re.I))).to_contain_text("in place of egg")
        page.get_by_role("button", name=re.compile("^Keep butter at")).click()
        expect(page.get_by_text(re.compile("“vegan” does not hold: butter"))).to_be_visible()
        expect(page.get_by_role("row", name=re.compile("^Margarine", re.I))).to_have_count(0)

    def test_who_is_at_the_table_is_told_first(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name=re.compile("^Who eats it")).click()
        page.get_by_label("someone with diabetes").check()
        page.keyboard.press("Escape")
        expect(page.get_by_role("button", name="Who eats it: someone with diabetes")).to_be_visible()
        expect(page.get_by_text(re.compile("Diabetes: a portion holds \\d+ g of carbohydrate"))).to_be_visible()

    def test_flavours_go_in_and_out_and_caps_are_set(self) -> None:
        page = self.open("/recipes/3/bench")
        page.get_by_role("radio", name=re.compile("^Less of everything")).click()
        row = page.get_by_role("row", name=re.compile("^Ground cinnamon", re.I))
        expect(row).to_contain_text("no sweetness is counted")
        page.get_by_role("button", name="Put in vanilla extract for flavour").click()
        expect(page.get_by_role("row", name=re.compile("^Vanilla extract", re.I))).to_contain_text("reads as sweet")
        page.get_by_role("button", name="Take out ground cinnamon for flavour").click()
        expect(row).not_to_contain_text("no sweetness is counted")
        page.get_by_role("radio", name=re.compile("^Whole fruit")).click()
        expect(page.get_by_role("row", name=re.compile("^Date paste", re.I))).to_be_visible()
        page.get_by_role("button", name=re.compile("^What sweetens it")).click()
        page.get_by_label("Most fruit paste, per cent of the batter").fill("900")
        page.get_by_label("Most fruit paste, per cent of the batter").press("Tab")
        expect(page.get_by_role("alert")).to_contain_text("0 to 80 %")
        expect(page.get_by_label("Most fruit paste, per cent of the batter")).to_have_value("900")
        page.get_by_label("Most fruit paste, per cent of the batter").fill("0")
        page.get_by_label("Most fruit paste, per cent of the batter").press("Tab")
        page.keyboard.press("Escape")
        expect(page.get_by_role("row", name=re.compile("^Date paste", re.I))).to_have_count(0)

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
        self.cut_further(page, 8)
        page.get_by_role("button", name="What would make it possible?").click()
        offers = page.get_by_role("list", name="What would make it possible")
        expect(offers).to_be_visible()
        offers.get_by_role("button", name=re.compile("a cut of")).click()
        expect(page.get_by_role("heading", name="In balance", exact=True)).to_be_visible()

    def test_the_curve_of_cuts_is_drawn_and_taken_by_key(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_text("What a bigger cut costs").click()
        point = page.get_by_role("button", name=re.compile("^Cut 30 %"))
        expect(point).to_be_visible()
        point.press("Enter")
        expect(page.get_by_role("button", name="How much to cut: 30 %")).to_be_visible()

    def test_the_wish_is_drawn_along_the_front(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_text("What a bigger cut costs").click()
        curve = page.get_by_role("group", name="How sweet it can stay at each cut")
        expect(page.get_by_role("button", name=re.compile("^Cut 100 %"))).to_be_visible()
        box = curve.bounding_box()
        assert box
        y = box["y"] + box["height"] / 2
        page.mouse.move(box["x"] + 0.55 * box["width"], y)
        page.mouse.down()
        page.mouse.move(box["x"] + 0.72 * box["width"], y, steps=4)
        page.mouse.up()
        expect(
            page.get_by_role(
                "button", name=re.compile(r"How much to cut: (60|70|75) %|How much to cut: (two thirds|three quarters)")
            )
        ).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_it_can_be_made_on_another_base(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name="What it stands on: as it is").click()
        page.get_by_label("on almond flour").check()
        page.keyboard.press("Escape")
        expect(page.get_by_role("row", name=re.compile("^Almond flour", re.I))).to_contain_text("ground almonds hold")
        expect(page.get_by_text(re.compile("^Made on almond flour"))).to_be_visible()
        expect(page.get_by_text("The batter is thick and grainy")).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("button", name="What it stands on: as it is")).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_one_component_alone_can_be_made_on_another_base(self) -> None:
        page = self.open("/recipes/6/bench")
        page.get_by_role("button", name="What it stands on: as it is").click()
        page.get_by_role("group", name="Only its frosting").get_by_label("of yoghurt and soft cheese").check()
        page.keyboard.press("Escape")
        expect(
            page.get_by_role("button", name="What it stands on: its frosting of yoghurt and soft cheese")
        ).to_be_visible()
        expect(page.get_by_text("of yoghurt and soft cheese the frosting tastes")).to_be_visible()
        row = page.get_by_role("row", name=re.compile("^Plain flour", re.I))
        expect(row).to_be_visible()
        self.assertEqual(self.problems, [])

    def test_a_version_of_ones_own_is_followed_by_another_dessert(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name=re.compile("kept|the original")).click()
        page.get_by_role("button", name="Original as a pattern for other desserts", exact=True).click()
        expect(
            page.get_by_role("button", name="Original as a pattern for other desserts", exact=True)
        ).to_have_attribute("aria-pressed", "true")
        title = page.get_by_role("heading", level=1).inner_text()
        for recipe in (2, 3, 4, 5):
            page = self.open(f"/recipes/{recipe}/bench")
            page.get_by_role("button", name=re.compile("^What it stands on")).click()
            choice = page.get_by_label(f"as {title}", exact=True)
            expect(
                page.get_by_text("What it stands on: a bigger change").or_(page.get_by_text("Nothing here can be"))
            ).to_be_visible()
            if choice.count():
                choice.check()
                page.keyboard.press("Escape")
                expect(page.get_by_text(re.compile(f"[Mm]ade as {re.escape(title)}"))).to_be_visible()
                break

    def test_another_way_is_taken(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name="Other ways, nearly as good").click()
        found = page.get_by_role("list", name="Other ways, nearly as good").or_(
            page.get_by_text("Nothing else at hand")
        )
        expect(found.first).to_be_visible()
        take = page.get_by_role("button", name=re.compile("^Take it: (?!nothing).* instead of"))
        if take.count():
            name = (take.first.get_attribute("aria-label") or "").removeprefix("Take it: ").split(" instead of ")[0]
            take.first.click()
            expect(
                page.get_by_role("row", name=re.compile(f"^{re.escape(name.split(' and ')[0])}", re.I)).first
            ).to_be_visible()

    def test_how_far_a_figure_may_be_off_is_shown(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_text("All the figures").click()
        expect(page.get_by_role("row", name=re.compile("^Energy"))).to_contain_text(" to ")
        expect(page.get_by_text("as sweet as asked")).to_be_visible()
        sun = page.get_by_role("button", name=re.compile(r"g → .* g"))
        sun.press("Enter")
        expect(page.get_by_text("so far it may be off, nine times in ten")).to_be_visible()
        page.keyboard.press("Escape")
        page.get_by_role("button", name=re.compile("^What a portion may hold")).click()
        page.get_by_label("9 times in 10").check()
        expect(page.get_by_role("button", name=re.compile("90 times in 100"))).to_be_visible()

    def test_going_a_little_further_is_offered_and_taken(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_text("What a bigger cut costs").click()
        offers = page.get_by_role("list", name="What going a little further costs")
        expect(offers.get_by_role("listitem")).to_have_count(2)
        expect(offers).to_contain_text("A cut of 60 %", ignore_case=True)
        offers.get_by_role("button", name=re.compile("Take it: a cut of 60 %")).click()
        expect(offers).to_contain_text("A cut of 70 %", ignore_case=True)
        self.assertEqual(self.problems, [])

    def test_wishes_and_limits_in_the_sentence(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("button", name=re.compile("^What must be in or out")).click()
        page.get_by_label("Put in", exact=True).fill("walnuts")
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
        self.cut_further(page, 6)
        expect(page.get_by_role("button", name="How much to cut: 60 %")).to_be_visible()
        page.wait_for_timeout(900)
        heights.append(sun.bounding_box())
        high, low = (h["y"] for h in heights if h)
        self.assertGreater(low, high + 5)
        expect(page.get_by_role("list", name=re.compile("Balance"))).to_contain_text("as sweet")

    def test_the_chosen_path_says_what_the_sun_beside_it_says(self) -> None:
        page = self.open("/recipes/1/bench")
        page.get_by_role("radio", name=re.compile("^Less")).click()
        self.cut_further(page, 6)
        expect(page.get_by_role("button", name="How much to cut: 60 %")).to_be_visible()
        path = page.get_by_role("radio", name=re.compile("^Less"))
        expect(path).to_contain_text("falls short")
        self.settle(page)
        sun = page.get_by_role("img", name=re.compile("^Free sugar in one square")).get_attribute("aria-label") or ""
        self.assertIn(re.findall(r"[\d.]+ g", path.inner_text())[0], sun)

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


if __name__ == "__main__":
    unittest.main()
