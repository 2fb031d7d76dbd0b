"""Metrics, families and verdicts."""

from __future__ import annotations

from sun_crumb.core.balance import contribution, families, judge, measure, nature_of
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reference import constant
from tests.support import CloseTo, formula_of, lines_of

TABLESPOON_G = 14.79


def cup(key: str) -> float:
    measure_of = shipped_pantry()[key].measure("cup")
    assert measure_of is not None
    return measure_of.grams


def liquid_out_tbsp(sweetener: str, cups: float) -> float:
    """Return the water [tbsp] to leave out when a cup of sugar becomes *cups* of *sweetener*, moisture kept.

    In a batter of flour, the liquid phase is held by the flour alone; the sweetener's own gain is what must go.
    """
    sugar = contribution(shipped_pantry()["white_sugar"])["liquid"] * cup("white_sugar")
    new = contribution(shipped_pantry()[sweetener])["liquid"] * cup(sweetener) * cups
    return (new - sugar) / TABLESPOON_G


class RulesOfThumb(CloseTo):
    def test_liquid_to_leave_out(self) -> None:
        # Common practice, no published source; the tolerance is half a tablespoon beyond the rule's own range.
        rules = {
            "honey": (0.75, 3, 4),
            "maple_syrup": (0.75, 3, 3),
            "date_syrup": (0.75, 3, 3),
            "apple_juice_concentrate": (0.75, 3, 3),
        }
        for key, (cups, low, high) in rules.items():
            with self.subTest(key):
                self.assertTrue(low - 0.5 <= liquid_out_tbsp(key, cups) <= high + 0.5, liquid_out_tbsp(key, cups))

    def test_agave_by_the_rule_is_not_met(self) -> None:
        # The rule says 4 tbsp less with ⅔ cup of agave; the liquid phase says about 1.3: told to the baker as it is.
        self.assertClose(liquid_out_tbsp("agave_syrup", 2 / 3), 1.3, absolute=0.3)

    def test_a_cup_of_honey_takes_about_a_quarter_teaspoon_of_soda(self) -> None:
        # Common practice: ¼ tsp (1.15 g) of soda for a cup of honey; Codex allows up to 50 meq/kg, typical is 30 (memory).
        acid = -contribution(shipped_pantry()["honey"])["alkali"] * cup("honey")
        self.assertTrue(0.5 < acid / constant("soda_base") < 1.5, acid / constant("soda_base"))

    def test_half_a_teaspoon_of_soda_for_a_cup_of_buttermilk(self) -> None:
        acid = -contribution(shipped_pantry()["buttermilk"])["alkali"] * cup("buttermilk")
        self.assertClose(acid / constant("soda_base"), 2.3, rel=0.25)

    def test_a_teaspoon_of_powder_lifts_like_a_quarter_teaspoon_of_soda(self) -> None:
        # Common practice: ¼ tsp of soda (with acid) for 1 tsp of baking powder.
        soda = contribution(shipped_pantry()["baking_soda"])["lift"] * 4.6 / 4
        powder = contribution(shipped_pantry()["baking_powder"])["lift"] * 4.6
        self.assertClose(soda, powder, rel=0.05)


class Metrics(CloseTo):
    def test_inclusions_keep_their_water_and_sugar_to_themselves(self) -> None:
        berries = measure(lines_of(blueberry=150))
        self.assertEqual((berries["water"], berries["bulk"], berries["mass"]), (0, 0, 150))
        self.assertGreater(berries["sweetness"], 0)
        self.assertGreater(measure(lines_of(applesauce=150))["water"], 120)

    def test_quantities_add_up(self) -> None:
        one, two = measure(lines_of(plain_flour=100, milk=50)), measure(lines_of(plain_flour=200, milk=100))
        for name, value in one.items():
            with self.subTest(name):
                self.assertClose(two[name], 2 * value, rel=1e-9)

    def test_the_original_is_in_balance_with_itself(self) -> None:
        same = measure(lines_of(plain_flour=200, white_sugar=150, butter=100, egg=100, milk=80, baking_powder=8))
        for family in families().values():
            for verdict in judge(family, same, same):
                with self.subTest(family.key, metric=verdict.key):
                    self.assertEqual((verdict.level, round(verdict.deviation, 9)), ("balanced", 0))

    def test_too_much_milk_is_told_in_words(self) -> None:
        before = measure(lines_of(plain_flour=200, white_sugar=150, butter=100, egg=100, milk=80, baking_powder=8))
        after = measure(lines_of(plain_flour=200, white_sugar=150, butter=100, egg=100, milk=160, baking_powder=8))
        moisture = next(v for v in judge(families()["butter_cake"], before, after) if v.key == "liquid")
        self.assertEqual(moisture.level, "off")
        self.assertIn("gummy", moisture.words)
        self.assertEqual(moisture.told, "+26 %")
        water = next(v for v in judge(families()["cookie"], before, after) if v.key == "water")
        self.assertEqual(water.told, "+7 g in 100 g")
        self.assertEqual(water.words, "a touch looser dough")


class Families(CloseTo):
    def test_guesses(self) -> None:
        cases = {
            "Victoria sponge\n200 g flour\n200 g sugar\n200 g butter\n4 eggs": "butter_cake",
            "Sponge\n120 g flour\n120 g sugar\n4 eggs": "foam_cake",
            "Coffee layers\n250 g mascarpone\n200 ml cream\n80 g sugar\n200 g sponge fingers\n300 ml coffee": "layered_cream",
            "Chocolate slab\n200 g dark chocolate\n100 g butter\n60 g golden syrup\n150 g digestive biscuits": "no_bake",
            "Cinnamon buns\n500 g strong flour\n7 g dried yeast\n60 g sugar\n250 ml milk\n60 g butter\n1 egg": "yeast_dough",
            "Lemon drizzle\n80 g sugar\n90 ml lemon juice": "soaking_syrup",
            "Drizzle\n150 g icing sugar\n15 ml lemon juice": "glaze",
            "Plain cake\n200 g flour\n150 g sugar\n150 g butter\n3 eggs\n60 ml milk": "butter_cake",
            "Blueberry muffins\n250 g flour\n100 g sugar\n200 ml milk\n1 egg\n150 g blueberries": "quick_bread",
            "Fudgy brownies\n100 g flour\n200 g sugar\n150 g butter\n50 g cocoa\n3 eggs": "brownie",
            "Oat cookies\n200 g flour\n100 g sugar\n100 g butter\n100 g oats": "cookie",
            "Baked custard\n500 ml milk\n100 g sugar\n4 eggs": "custard",
            "Soft caramels\n300 g sugar\n200 ml double cream\n50 g butter": "caramel",
            "Meringues\n4 egg whites\n200 g caster sugar": "meringue",
            "Plum cake\n200 g flour\n150 g sugar\n3 eggs\n120 g butter\n500 g plums": "butter_cake",
            "Rice pudding\n1 l milk\n100 g rice\n80 g sugar": "custard",
        }
        for text, family in cases.items():
            formula = formula_of(text)
            with self.subTest(text.split("\n")[0]):
                self.assertEqual(nature_of(formula, "").family.key, family)

    def test_a_filling_called_crumble_is_fruit(self) -> None:
        text = "Plum crumble\nFor the filling:\n600 g plums\n75 g sugar\nFor the crumble:\n150 g flour\n90 g sugar\n100 g butter"
        formula = formula_of(text)
        guesses = [nature_of(formula, c).family.key for c in formula.components]
        self.assertEqual(guesses, ["fruit", "crumble"])
