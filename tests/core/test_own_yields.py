"""Components that are enough for another number of portions than the whole makes."""

from __future__ import annotations

import unittest
from dataclasses import replace

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import Formula, FormulaLine, from_reading, portion_totals, served, suggested_kinds, total
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe

PANTRY = shipped_pantry()


def cupcakes(own: int | None) -> Formula:
    lines = (
        FormulaLine(PANTRY["plain_flour"], 300.0),
        FormulaLine(PANTRY["caster_sugar"], 120.0),
        FormulaLine(PANTRY["icing_sugar"], 240.0, "frosting"),
    )
    return Formula("Cupcakes", lines, 12, "cupcake", own_yields=(("frosting", own),) if own else ())


class OwnYields(unittest.TestCase):
    def test_what_is_made_for_more_portions_is_left_over(self) -> None:
        self.assertAlmostEqual(served(cupcakes(None)).mass_g, 660.0)
        self.assertAlmostEqual(served(cupcakes(24)).mass_g, 420.0 + 120.0)
        self.assertAlmostEqual(total(cupcakes(24).lines).mass_g, 660.0)

    def test_fewer_frosted_portions_hold_a_whole_share_each(self) -> None:
        formula = cupcakes(8)
        kinds = suggested_kinds(formula)
        self.assertEqual(
            [(k.name, k.count, k.components) for k in kinds],
            [("with frosting", 8, ("", "frosting")), ("plain", 4, ("",))],
        )
        holds = portion_totals(formula, kinds)
        self.assertAlmostEqual(holds["with frosting"].mass_g, 35.0 + 30.0)
        self.assertAlmostEqual(holds["plain"].mass_g, 35.0)
        self.assertEqual(suggested_kinds(cupcakes(24)), ())

    def test_kinds_of_portion_count_up_to_the_batch(self) -> None:
        formula = cupcakes(8)
        holds = portion_totals(formula, suggested_kinds(formula))
        self.assertAlmostEqual(8 * holds["with frosting"].mass_g + 4 * holds["plain"].mass_g, formula.mass_g)

    def test_what_a_part_is_shaped_into_is_no_number_of_portions(self) -> None:
        text = "Lemon possets\nServes 6\n\nFor the possets\n600 ml cream\n150 g sugar\n\nFor the {}\n125 g butter\n180 g flour\n"
        for heading, told in (
            ("shortbread (makes about 18 fingers)", ()),
            ("shortbread (enough for 12)", (("shortbread", 12),)),
        ):
            with self.subTest(heading):
                self.assertEqual(from_reading(read_recipe(text.format(heading), PANTRY), PANTRY)[0].own_yields, told)

    def test_absurd_and_unknown_ones_are_refused(self) -> None:
        for own in ((("frosting", 0),), (("frosting", 5000),), (("glaze", 6),)):
            with self.subTest(own), self.assertRaises(OutOfDomainError) as caught:
                replace(cupcakes(None), own_yields=own)
            self.assertEqual(caught.exception.field, "own_yields")


if __name__ == "__main__":
    unittest.main()
