"""What stands beside a line, above it or around it decides what it says: other foods of a list, the part above, how much a piece would weigh."""

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe


def weighed(text: str) -> dict[str, float]:
    found: dict[str, float] = {}
    for line in read_recipe(text, shipped_pantry()).lines:
        if line.status == "ok" and line.ingredient and line.grams:
            key = f"{line.component}/{line.ingredient}" if line.component else line.ingredient
            found[key] = found.get(key, 0.0) + line.grams
    return found


class ToldTogether(unittest.TestCase):
    def test_one_word_of_two_tongues_by_its_neighbours(self) -> None:
        danish = weighed("Kage\n\n125 g smør\n125 g sukker\n2 æg\n150 g mel")
        portuguese = weighed("Bolo\n\n200 g farinha\n3 ovos\n100 g mel")
        self.assertEqual((danish["plain_flour"], portuguese["honey"]), (150, 100))

    def test_juice_is_of_the_one_fruit_that_is_named(self) -> None:
        found = weighed("Loaf\n\n180 g butter\n3 eggs\n150 g flour\nzest of 1 orange\n2 tbsp juice")
        self.assertIn("orange_juice", found)
        two = weighed("Loaf\n\n180 g butter\n150 g flour\nzest of 1 orange\nzest of 1 lemon\n2 tbsp juice")
        self.assertNotIn("orange_juice", two)
        self.assertNotIn("lemon_juice", two)

    def test_the_first_food_under_a_head_is_kept(self) -> None:
        found = weighed("Friands\nIngredients: butter 180 g; ground almonds 100 g; icing sugar 200 g; flour 60 g")
        self.assertEqual((found["butter"], found["icing_sugar"], found["plain_flour"]), (180, 200, 60))

    def test_a_part_ends_a_broken_list(self) -> None:
        found = weighed(
            "Pear cake\n\nFor the topping:\n50g butter, 75g soft brown\nsugar, 3 ripe pears, peeled,\nquartered\nFor the cake:\n150g butter, 150g caster\nsugar, 3 eggs, 150g self-\nraising flour"
        )
        self.assertEqual((found["topping/butter"], found["cake/butter"], found["cake/caster_sugar"]), (50, 150, 150))

    def test_whites_whose_yolks_are_told_before(self) -> None:
        found = weighed(
            "Queen of puddings\n\nBeat the yolks of 3 eggs with 50 g sugar. Bake. Whisk the 3 egg whites with 85 g caster sugar and pile on top."
        )
        self.assertEqual((found["egg_yolk"], found["egg_white"]), (51, 99))

    def test_what_nobody_eats_as_one_is_a_guess(self) -> None:
        dough = "\n\n500 g flour\n250 g milk\n100 g butter\n100 g sugar\n400 g poppy seeds"
        told = [
            (said, read_recipe(f"Poppy rolls\n{said}{dough}", shipped_pantry()).portions)
            for said in ("Makes 2 rolls", "Makes 20 rolls", "Serves 400", "Serves 8")
        ]
        sure = {said: portions is not None and not portions.is_assumed for said, portions in told}
        self.assertEqual(sure, {"Makes 2 rolls": False, "Makes 20 rolls": True, "Serves 400": False, "Serves 8": True})

    def test_numbers_at_odds_are_a_guess(self) -> None:
        list_of_foods = "\n\n300 g flour\n200 g butter\n200 g sugar\n\nMix and bake. "
        told = {
            (above, below): read_recipe(f"Cake\n{above}{list_of_foods}{below}", shipped_pantry()).portions
            for above, below in (("Makes 12", "Makes 20."), ("Makes 12", "Cut into 12."), ("Serves 4", "Makes 20."))
        }
        sure = {said: found is not None and not found.is_assumed for said, found in told.items()}
        self.assertEqual(list(sure.values()), [False, True, True])

    def test_a_tins_sides_are_no_count(self) -> None:
        told = read_recipe(
            "Slices\nmakes one tray (40 x 30 cm), cut in 24\n\n300 g butter\n400 g flour", shipped_pantry()
        )
        assert told.portions is not None
        self.assertEqual((told.portions.count, told.portions.whole), (24, "1 tray"))

    def test_what_both_rolls_are_cut_into(self) -> None:
        told = read_recipe(
            "Roll\n500 g flour\n100 g butter\n\n2 rolls, about 12 slices each. 180 °C, 40 min.", shipped_pantry()
        )
        assert told.portions is not None
        self.assertEqual((told.portions.count, told.portions.unit, told.portions.whole), (24, "slice", "2 rolls"))

    def test_a_heat_in_a_line_of_figures_is_no_count(self) -> None:
        told = read_recipe(
            "Hermits\n\n100 g butter\n200 g sugar\n250 g flour\n2 eggs\n\ncream, add\n350 / 12 min / 3 doz",
            shipped_pantry(),
        )
        assert told.portions is not None
        assert told.oven is not None
        self.assertEqual((told.portions.count, told.oven.temperature_c), (36, 177))


if __name__ == "__main__":
    unittest.main()
