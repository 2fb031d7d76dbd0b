"""What a dessert is stays so: no honey in a vegan cake, no dates in what is pale, nothing fetched that mends next to nothing.

Common practice, no published source.
"""

from __future__ import annotations

import unittest

from tests.support.plans import plan

VEGAN = (
    "{}\nServes 12\n300 ml soy milk\n275 g plain flour\n60 g cocoa\n2 tsp baking soda\n300 g caster sugar\n110 ml rapeseed oil\n"
    "1 tbsp vinegar\nWhisk everything. Bake at 170C for 30 minutes."
)
OIL_CAKE = (
    "{}\nServes 12\n300 ml water\n275 g plain flour\n60 g cocoa\n2 tsp baking soda\n300 g caster sugar\n110 ml rapeseed oil\n"
    "1 tbsp vinegar\nWhisk everything. Bake at 170C for 30 minutes."
)
LOAF = (
    "{} loaf\nServes 10\n190 g plain flour\n2 tsp baking powder\n240 g plain yoghurt\n200 g {}\n3 eggs\n1 tsp lemon zest\n110 g oil\n"
    "Whisk, bake in a loaf tin at 175C for 50 minutes."
)
STEAMED = "Steamed syrup pudding\nServes 6\n4 tbsp golden syrup\n175 g butter\n175 g caster sugar\n3 eggs\n175 g self-raising flour\n2 tbsp milk\nSyrup in the basin, batter on top, steam 90 minutes."
UPSIDE = (
    "Pineapple upside-down cake\nServes 8\nTopping\n50 g butter\n50 g light brown sugar\n280 g pineapple\nCake\n100 g butter\n100 g caster sugar\n"
    "100 g self-raising flour\n2 eggs\n2 tbsp milk\nSpread the topping in a tin, beat the cake, spread over. Bake at 180C for 35 minutes."
)
ALMOND = "Almond torte\nServes 10\n250 g ground almonds\n250 g sugar\n5 eggs\n1 tsp lemon zest\nWhisk, fold, bake at 175C for 35 minutes."
TORTE = "Chocolate torte\nServes 12\n225 g dark chocolate 70%\n225 g butter\n200 g sugar\n6 eggs\n60 ml water\nMelt, whisk, fold. Bake at 175C for 35 minutes."
ICE = "Semifreddo\nServes 8\n30 g icing sugar\n140 g caster sugar\n200 g raspberries\n3 eggs\n2 egg yolks\n400 ml double cream\nWhisk eggs and sugar over water, fold in cream, freeze 6 hours."


def held(text: str, **wish: object) -> dict[str, float]:
    """Return what a plan for a text holds [g]."""
    found: dict[str, float] = {}
    for line in plan(text, **wish).lines:
        if line.after_g > 0:
            found[line.ingredient] = found.get(line.ingredient, 0.0) + line.after_g
    return found


class OfPlantsAlone(unittest.TestCase):
    def test_no_honey_where_plants_stand_in_for_milk_or_the_name_says_so(self) -> None:
        for text in (VEGAN.format("Chocolate cake"), OIL_CAKE.format("Vegan chocolate cake")):
            with self.subTest(text.split("\n")[0]):
                made = held(text, path="unrefined", cut=0.5)
                self.assertNotIn("honey", made)

    def test_honey_comes_where_nobody_said_that_it_must_not(self) -> None:
        made = held(OIL_CAKE.format("Chocolate cake"), path="unrefined", cut=0.5)
        self.assertIn("honey", made)


class PaleCrumbs(unittest.TestCase):
    def test_a_pale_loaf_takes_little_date_paste_a_brown_one_more(self) -> None:
        pale = held(LOAF.format("Lemon", "white sugar"), path="fruit", cut=0.5)
        brown = held(LOAF.format("Brown", "dark brown sugar"), path="fruit", cut=0.5)
        self.assertLess(pale.get("date_paste", 0), 60)
        self.assertGreater(brown["date_paste"], 90)

    def test_a_plain_sponge_is_not_wet_with_apple(self) -> None:
        made = held(STEAMED, path="fruit", cut=0.5)
        self.assertLess(made.get("applesauce", 0), 0.125 * 800)
        self.assertEqual(made["egg"], 150)

    def test_who_sets_how_much_purée_gets_it(self) -> None:
        sponge = "Vanilla sponge\nServes 10\n200 g butter\n200 g caster sugar\n4 eggs\n200 g self-raising flour\nCream, fold, bake at 180C for 30 minutes."
        cupboard = ("applesauce", "banana", "pear_puree", "erythritol", "honey")
        unasked = held(sponge, path="fruit", cut=0.5, cupboard=cupboard)
        asked = held(sponge, path="fruit", cut=0.5, cupboard=cupboard, caps={"puree": 0.3})
        self.assertLessEqual(unasked["pear_puree"], 0.12 * 800)
        self.assertGreater(asked["pear_puree"], 0.12 * 800)

    def test_no_apple_in_an_almond_torte(self) -> None:
        self.assertNotIn("applesauce", held(ALMOND, path="fruit", cut=0.5))

    def test_under_what_is_turned_out_the_sugar_melts(self) -> None:
        for path in ("fruit", "blend"):
            made = plan(UPSIDE, path=path, cut=0.5)
            new = {
                x.ingredient for x in made.lines if x.position is None and x.component == "topping" and x.after_g > 0
            }
            with self.subTest(path):
                self.assertFalse(new & {"date_paste", "erythritol", "stevia_erythritol", "applesauce"})


SLICE = (
    "Date slice\nMakes 24 pieces\n250 g dates\n180 ml boiling water\n1 tsp baking soda\n100 g butter\n175 g brown sugar\n2 eggs\n200 g self-raising flour\n"
    "Soak the dates. Cream, fold. Bake at 180C for 30 minutes."
)
PUFFS = "Puffs\nMakes 30\n250 g plain flour\n1 tbsp sugar\n3 eggs\n400 ml buttermilk\n50 g butter\nFry in a pan."


class DatesThatSoak(unittest.TestCase):
    def test_no_more_water_beside_dates_that_keep_it_moist(self) -> None:
        for path in ("fruit", "less"):
            with self.subTest(path):
                self.assertEqual(held(SLICE, path=path, cut=0.5)["water"], 180)


class Words(unittest.TestCase):
    def test_no_refined_sugar_is_said_where_none_is_left(self) -> None:
        made = plan(PUFFS, path="blend", cut=0.5)
        self.assertGreater(made.totals_after.refined_sugar_g, 3)
        self.assertNotIn("No refined sugar", made.words)
        self.assertIn("Hardly any refined sugar", made.words)


class MendsLittle(unittest.TestCase):
    def test_nothing_is_fetched_for_what_it_hardly_mends(self) -> None:
        made = held(ICE, path="less", cut=0.5)
        self.assertNotIn("milk_powder", made)
        self.assertEqual(held(TORTE, path="less", cut=0.62)["water"], 60)


if __name__ == "__main__":
    unittest.main()
