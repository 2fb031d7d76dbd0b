"""Plans read whole as a baker reads them: what each of these did that nobody would. Common practice, no published source; recipes are made up."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from tests.support.plans import plan

FLAPJACK = "Flapjack\nMakes 12\n\n175 g butter\n175 g golden syrup\n175 g muscovado sugar\n350 g oats\n\nMelt, stir, press in a tin, bake at 150 C for 35 minutes."
COOKIES = "Peanut cookies\nMakes 24\n\n258 g peanut butter\n200 g sugar\n1 egg\n1 tsp baking soda\n\nRoll in balls, press. Bake at 180 C for 10 minutes."
CHEESECAKE = (
    "No-bake cheesecake\n10 slices\n\nBase\n200 g digestive biscuits\n90 g butter\n\nFilling\n500 g cream cheese\n100 g icing sugar\n300 ml double cream"
    "\n\nCrush, press, chill. Beat, whip the cream, fold in, chill overnight."
)
LIME_PIE = (
    "Lime pie\nServes 8\n\nCrust\n126 g graham cracker crumbs\n67 g sugar\n85 g butter\n\nFilling\n794 g condensed milk\n115 g sour cream\n185 g lime juice"
    "\n\nBake the crust at 175 C for 8 min. Mix the filling, pour, bake 10 min, chill."
)
PANFORTE = (
    "Panforte\n16 wedges\n\n150 g almonds\n100 g hazelnuts\n120 g candied peel\n100 g dried figs\n80 g plain flour\n15 g cocoa\n120 g honey\n120 g sugar"
    "\n\nBoil honey and sugar to 118 °C, pour over the rest, press into the tin. Bake at 150 C for 35 min."
)
FLAN = "Flan\nServes 8\n\nCaramel\n150 g sugar\n3 tbsp water\n\nCustard\n500 ml milk\n4 eggs\n80 g sugar\n\nMake a dark caramel, coat the mould. Whisk, pour, bake in a bain-marie at 150 C for 40 min."
CRISP = (
    "Apple crisp\nServes 6\n\nFilling\n1100 g apples\n2 tbsp lemon juice\n50 g sugar\n\nTopping\n94 g flour\n69 g oats\n165 g brown sugar\n114 g butter"
    "\n\nSlice the apples in a dish. Crumble the topping over. Bake at 190 C for 45 min."
)


class AsABaker(unittest.TestCase):
    """One rule each, seen broken before."""

    def test_bars_take_dates_without_water(self) -> None:
        """Date paste, a third of it water, made flapjacks soft; dates that are blitzed alone bind them."""
        made = plan(FLAPJACK, path="fruit", cut=0.5)
        new = {line.ingredient for line in made.lines if not line.before_g and line.after_g}
        self.assertIn("stiff_date_paste", new)
        self.assertNotIn("date_paste", new)
        water = next(m for b in made.balance for m in b.verdicts if m.key == "water")
        self.assertLess(water.deviation, 0.3)

    def test_a_loaf_takes_the_paste_with_its_water(self) -> None:
        loaf = "Tea loaf\n12 slices\n\n340 g mixed dried fruit\n285 ml tea\n170 g brown sugar\n285 g self-raising flour\n1 egg\n\nSoak, mix, bake at 165 C for 90 minutes."
        new = {
            line.ingredient for line in plan(loaf, path="fruit", cut=0.5).lines if not line.before_g and line.after_g
        }
        self.assertNotIn("stiff_date_paste", new)

    def test_a_cookie_without_flour_takes_ground_erythritol(self) -> None:
        """A sixteenth of a spoon of stevia stood for what the water of one egg could not dissolve."""
        made = plan(COOKIES, path="zero", cut=0.5)
        new = {line.ingredient: line.after_g for line in made.lines if not line.before_g and line.after_g}
        self.assertEqual(set(new), {"stevia_erythritol"})
        self.assertGreater(new["stevia_erythritol"], 80)
        self.assertIn("Grind", " ".join(made.advice))

    def test_bought_biscuits_stay_for_the_last_twentieth(self) -> None:
        for cut, stays in ((0.5, True), (0.8, False)):
            with self.subTest(cut):
                after = {line.ingredient: line.after_g for line in plan(CHEESECAKE, path="zero", cut=cut).lines}
                self.assertEqual(after["digestive_biscuit"] == 200, stays)

    def test_erythritol_and_stevia_are_one_jar(self) -> None:
        made = plan(FLAPJACK, path="zero", cut=0.6)
        new = {line.ingredient for line in made.lines if not line.before_g and line.after_g}
        self.assertFalse({"erythritol", "stevia_extract"} <= new, new)

    def test_what_the_gut_minds_goes_where_the_sugar_can_go(self) -> None:
        """Two thirds of what a crust lost could not come back, though the condensed milk of the filling took none."""
        after = {
            line.ingredient: line.after_g
            for line in plan(LIME_PIE, path="zero", cut=0.5).lines
            if line.component == "crust"
        }
        self.assertGreater(after.get("stevia_erythritol", 0), 35)

    def test_nothing_wet_beside_boiled_sugar(self) -> None:
        made = plan(PANFORTE, path="blend", cut=0.5)
        self.assertFalse(
            [x for x in made.lines if not x.before_g and x.after_g and shipped_pantry()[x.ingredient].has_role("puree")]
        )

    def test_a_bare_caramel_stops_at_no_soft_ball(self) -> None:
        made = plan(FLAN, path="blend", cut=0.5)
        self.assertNotIn("soft ball", " ".join(made.advice))

    def test_two_spoons_go_too_where_the_crumble_cannot_pay_for_all(self) -> None:
        after = {(x.component, x.ingredient): x.after_g for x in plan(CRISP, path="fruit", cut=0.5).lines}
        self.assertLess(after["filling", "white_sugar"], 30)

    def test_no_earlier_look_at_what_takes_longer(self) -> None:
        brownies = "Brownies\nMakes 24\n\n200 g dark chocolate\n150 g butter\n4 eggs\n200 g brown sugar\n150 g flour\n100 g walnuts\n\nMelt, mix, bake at 170 C for 25 minutes."
        advice = " ".join(plan(brownies, path="fruit", cut=0.5).advice)
        self.assertFalse("look " in advice and "allow " in advice, advice)

    def test_a_pale_cake_stays_pale(self) -> None:
        """A tenth of a seed cake was dates: brown through. With brown sugar in it nothing shows."""
        for sugar, least, most in (("sugar", 0.02, 0.07), ("dark brown sugar", 0.08, 0.15)):
            with self.subTest(sugar):
                text = f"Seed cake\n12 slices\n\n175 g butter\n175 g {sugar}\n3 eggs\n225 g self-raising flour\n50 g ground almonds\n1 tsp caraway seeds\n30 ml milk\n\nCream, fold, bake at 170 C for 60 min."
                made = plan(text, path="fruit", cut=0.5)
                dates = sum(x.after_g for x in made.lines if x.ingredient == "date_paste") / sum(
                    x.after_g for x in made.lines
                )
                self.assertLess(dates, most)
                self.assertGreater(dates, least)
                # How much fruit a batter takes is the baker's to say.
                own = plan(text, path="fruit", cut=0.5, caps={"paste": 0.12})
                self.assertGreater(sum(x.after_g for x in own.lines if x.ingredient == "date_paste"), 80)

    def test_what_stays_undissolved_is_ground_and_told(self) -> None:
        """Financiers of icing sugar took 130 g of erythritol into 150 g of water, and nothing was said."""
        made = plan(
            "Financiers\nMakes 12\n\n120 g butter\n200 g icing sugar\n80 g ground almonds\n60 g plain flour\n4 egg whites\n\nMelt, mix, bake at 190 C for 15 min.",
            path="zero",
            cut=0.85,
        )
        new = sum(x.after_g for x in made.lines if not x.before_g and "erythritol" in x.ingredient)
        self.assertGreater(new, 60)
        self.assertIn("Grind the erythritol", " ".join(made.advice))

    def test_under_a_tatin_only_what_makes_a_caramel(self) -> None:
        """Dates, and erythritol, stood for half of the sugar that is boiled to a caramel under the pears."""
        tatin = "Pear tarte tatin\nServes 6\n\n6 firm pears\n100 g sugar\n80 g butter\n320 g puff pastry\n\nMake a caramel in an ovenproof pan with the sugar and butter. Pears in, cook 15 minutes. Pastry over. Bake at 200 C for 30 min."
        for path in ("fruit", "zero"):
            with self.subTest(path):
                made = plan(tatin, path=path, cut=0.5)
                new = {x.ingredient for x in made.lines if not x.before_g and x.after_g}
                self.assertFalse(
                    [x for x in new if shipped_pantry()[x].has_role("paste", "puree") or "erythritol" in x], new
                )


if __name__ == "__main__":
    unittest.main()
