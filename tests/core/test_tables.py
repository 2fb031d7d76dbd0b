"""What the head of a table says of its rows, and what a method says of a fruit that the list only counts."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import Reading, read_recipe
from sun_crumb.core.reading.fruit_parts import parts_by_the_method
from sun_crumb.core.reading.tables import Head, head_of, plain_row

PANTRY = shipped_pantry()


def read(rows: str, method: str = "Mix. Bake at 180C for 30 minutes.") -> Reading:
    return read_recipe(f"Test cake\nServes 8\n\n{rows}\n\n{method}\n", PANTRY)


def weighed(reading: Reading) -> list[tuple[str, str | None, float]]:
    return [(x.component, x.ingredient, round(x.grams)) for x in reading.lines if x.status == "ok" and x.grams]


class Tables(unittest.TestCase):
    def test_a_bare_number_is_in_the_unit_of_its_column(self) -> None:
        wanted = [("", "plain_flour", 190), ("", "egg", 50), ("", "white_sugar", 90)]
        for rows in (
            "Ingredient | grams\nflour | 190\negg | 50\nsugar | 90",
            "ingredient,grams\nflour,190\negg,50\nsugar,90",
            "Ingredient\tWeight (g)\nflour\t190\negg\t50\nsugar\t90",
            "Item;Amount;Unit\nflour;190;g\negg;50;g\nsugar;90;g",
        ):
            with self.subTest(rows):
                self.assertEqual(weighed(read(rows)), wanted)

    def test_without_such_a_head_a_count_stays_one(self) -> None:
        self.assertEqual(weighed(read("flour | 190 g\nEggs | 3\nsugar | 90 g"))[1], ("", "egg", 150))

    def test_a_column_names_the_part(self) -> None:
        rows = "| Part | What | How much |\n| Crust | plain flour | 200 g |\n| Crust | butter | 100 g |\n| Top | caster sugar | 50 g |"
        self.assertEqual([x.text for x in read(rows).lines if x.role == "heading"], ["Crust:", "Top:"])
        self.assertEqual(
            weighed(read(rows)), [("crust", "plain_flour", 200), ("crust", "butter", 100), ("top", "caster_sugar", 50)]
        )

    def test_two_systems_of_measures_are_one_list(self) -> None:
        rows = "Ingredients (US) || Ingredients (metric)\n1 cup sugar || 200 g sugar\n2 sticks butter || 225 g butter\n3 eggs || 3 eggs"
        self.assertEqual(weighed(read(rows)), [("", "white_sugar", 200), ("", "butter", 225), ("", "egg", 150)])

    def test_what_is_no_head_says_nothing(self) -> None:
        for line in ("flour | 200 g", "Cake | Filling", "", "Ingredient", "x" * 400):
            with self.subTest(line):
                self.assertIsNone(head_of(line))
        self.assertEqual(plain_row("flour | a cup", Head(1, "g")), ("", "flour | a cup"))


class FruitByTheMethod(unittest.TestCase):
    """Common practice, no published source."""

    def test_the_parts_that_the_method_takes(self) -> None:
        for text, method, wanted in (
            ("2 lemons", "Fold in the zest of both lemons. Squeeze the lemons over.", "zest and juice of 2 lemons"),
            ("1 lime", "Toss the mango with the lime juice.", "juice of 1 limes"),
            ("1 large orange", "Grate in the orange zest.", "zest of 1 oranges"),
            ("2 oranges", "Boil the oranges whole for an hour. Add the orange zest.", "2 oranges"),
            ("2 lemons", "Serve with cream.", "2 lemons"),
            ("2 lemons, sliced", "Squeeze the lemons.", "2 lemons, sliced"),
        ):
            with self.subTest(text, method=method):
                self.assertEqual(parts_by_the_method(text, method), wanted)

    def test_nothing_is_asked_where_the_method_tells(self) -> None:
        rows = "200 g sugar\n2 lemons\n3 eggs"
        told = weighed(read(rows, "Whisk the eggs, sugar and lemon zest. Stir in the lemon juice."))
        self.assertEqual([key for _, key, _ in told], ["white_sugar", "lemon_zest", "lemon_juice", "egg"])
        asked = read(rows, "Whisk the eggs and sugar. Bake.")
        self.assertIn("ask", [line.status for line in asked.lines])


class BoiledApart(unittest.TestCase):
    """Common practice, no published source: what is boiled to amber is no part of the custard poured on it."""

    FOODS = "150 g granulated sugar\n4 tbsp water\n500 ml milk\n3 eggs\n50 g caster sugar"

    def test_the_sugar_of_a_caramel_stands_by_itself(self) -> None:
        method = "Heat the granulated sugar and water, then boil until deep amber. Whisk the eggs, milk and caster sugar and pour over. Bake at 150C for 40 minutes."
        told = weighed(read(self.FOODS, method))
        self.assertEqual([key for part, key, _ in told if part == "caramel"], ["white_sugar", "water"])
        self.assertEqual([key for part, key, _ in told if not part], ["milk", "egg", "caster_sugar"])

    def test_not_where_nothing_says_which(self) -> None:
        for method in ("Boil the sugar to amber.", "Whisk everything. Bake at 150C for 40 minutes."):
            with self.subTest(method):
                self.assertEqual({part for part, _, _ in weighed(read(self.FOODS, method))}, {""})


class Ovens(unittest.TestCase):
    """Common practice, no published source."""

    def test_by_whichever_dial(self) -> None:
        for said, wanted in (
            ("Bake at 160C fan 25 min", (160, True)),
            ("Bake at 170 C (convection 150 C) for 50 min", (170, False)),
            ("Bake at 175-200 °C, 50 min", (175, False)),
            ("Oats on a tray ... 350 ... 35 min", (177, False)),
            ("Grädda i 200 grader i 30 minuter", (200, False)),
            ("Bake at 9000C for 20 min", None),
            ("Bake at 900C for 20 min", None),
        ):
            with self.subTest(said):
                oven = read("200 g flour\n100 g sugar", said).oven
                self.assertEqual(oven and (oven.temperature_c, oven.is_fan), wanted)


class Steps(unittest.TestCase):
    def test_what_a_cook_does_is_no_food(self) -> None:
        for step in (
            "Break the sponge fingers into 6 glasses",
            "Zest the lemons",
            "Dot with butter",
            "Ladle the custard over",
        ):
            with self.subTest(step):
                reading = read("200 g sponge fingers\n100 g sugar", f"{step}\nChill for 2 hours.")
                self.assertIn(step, reading.steps)

    def test_a_fruits_zest_is_no_step(self) -> None:
        for line in ("Zest of 1 lemon", "Juice of 2 limes", "Pinch of salt", "Crumble topping, 200 g"):
            with self.subTest(line):
                self.assertNotIn(line, read(f"200 g flour\n{line}\n100 g sugar").steps)


class Purees(unittest.TestCase):
    def test_a_puree_fills_its_cup(self) -> None:
        # A purée is about as heavy as water (common practice, no published source); whole berries leave air.
        (line,) = (x for x in read("150 ml raspberry purée").lines if x.ingredient == "raspberry")
        self.assertAlmostEqual(line.grams or 0, 150, delta=12)
        (whole,) = (x for x in read("150 ml raspberries").lines if x.ingredient == "raspberry")
        self.assertLess(whole.grams or 0, 100)
