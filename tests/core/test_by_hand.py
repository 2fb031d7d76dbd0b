"""Figures of the model worked out by hand: what each gram adds, what a deviation costs, the words at their edges."""

from __future__ import annotations

import unittest
from dataclasses import fields, replace

from sun_crumb.core.balance import families, gauges, measure
from sun_crumb.core.balance.metrics import METRICS, contribution
from sun_crumb.core.balance.nature import _done, _name_of
from sun_crumb.core.balance.verdicts import _moist
from sun_crumb.core.exploring.check import check
from sun_crumb.core.formula import Formula, FormulaLine, total
from sun_crumb.core.pantry import Ingredient, shipped_pantry
from sun_crumb.core.pantry.household import household_amount
from sun_crumb.core.pantry.ingredient import Composition
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.solving.penalty import charged, room_for_sweetness, stretches
from tests.support import CloseTo, batter, lines_of
from tests.support.plans import plan

PANTRY = shipped_pantry()
US = cup_standard("us")


def made_of(**per_100g: float) -> Ingredient:
    """Return a food of nothing but these, per 100 g."""
    nothing = Composition(**dict.fromkeys((f.name for f in fields(Composition)), 0.0))
    return replace(PANTRY["water"], key="made_up", roles=frozenset(), per_100g=replace(nothing, **per_100g))


class Grams(CloseTo):
    def test_what_dissolves_is_bulk(self) -> None:
        for name in (
            "total_sugars_g",
            "erythritol_g",
            "xylitol_g",
            "sorbitol_g",
            "maltitol_g",
            "allulose_g",
            "inulin_g",
            "polydextrose_g",
            "dextrin_g",
        ):
            self.assertClose(contribution(made_of(**{name: 30.0}))["bulk"], 0.30, absolute=1e-9, msg=name)
        for name in ("starch_g", "protein_g", "fat_g", "water_g", "fibre_g"):
            self.assertEqual(contribution(made_of(**{name: 30.0}))["bulk"], 0.0, name)

    def test_fibres_are_added_up(self) -> None:
        food = made_of(fibre_g=3.0, inulin_g=5.0, polydextrose_g=7.0)
        self.assertClose(total([FormulaLine(food, 200.0)]).fibre_g, 30.0, absolute=1e-9)

    def test_weights_of_the_metrics(self) -> None:
        """Judgement, as docs/method.md tells it: liquid and water most, lift and acid least."""
        wanted = {
            "sweetness": 1.2,
            "liquid": 1.5,
            "water": 1.5,
            "fat": 1.0,
            "structure": 1.2,
            "bulk": 1.0,
            "freezing": 1.2,
            "lift": 0.8,
            "alkali": 0.8,
            "mass": 1.0,
        }
        self.assertEqual({key: metric.weight for key, metric in METRICS.items()}, wanted)

    def test_liquid_is_water_and_the_room_of_dissolved_sugar(self) -> None:
        """0.62 ml a gram: about sucrose's partial specific volume (memory)."""
        self.assertClose(
            contribution(made_of(water_g=40.0, total_sugars_g=50.0, sucrose_g=50.0))["liquid"],
            0.40 + 0.62 * 0.50,
            absolute=0.005,
        )


class Costs(CloseTo):
    def test_a_band_inside_costs_little_and_beyond_much(self) -> None:
        cake = measure(
            batter(12, plain_flour=200, white_sugar=150, butter=100, egg=100, milk=80, baking_powder=8).lines
        )
        by = {g.metric.key: g for g in gauges(families()["butter_cake"], cake, 0.8)}
        along = stretches(by["fat"], 1.0)
        for reach, cost in ((0.5, 0.075), (1.0, 0.15), (1.5, 1.15), (2.0, 2.15), (2.5, 22.15)):
            self.assertClose(charged(reach, along), cost, absolute=1e-9, msg=str(reach))
        sweet = by["sweetness"]
        self.assertClose(room_for_sweetness(sweet), (1 / 0.8 - 1) / sweet.band[1] + 1, absolute=1e-9)
        self.assertClose(charged(2.5, stretches(sweet, -1.0)), 0.15 + 2.0 + 0.5 * 6.0, absolute=1e-9)


class Words(CloseTo):
    def test_pieces_weigh_what_they_say(self) -> None:
        each = PANTRY["sponge_fingers"].measure("each")
        assert each is not None
        self.assertEqual(household_amount(PANTRY["sponge_fingers"], 12 * each.grams, US), ("12", 12 * each.grams))

    def test_a_smaller_piece_weighs_its_part_of_the_whole(self) -> None:
        made = plan(
            "Meringues\nMakes 10\n100 g egg white\n200 g caster sugar\nBake at 100 °C for 90 minutes.",
            path="less",
            cut=0.6,
        )
        told = next(t for t in made.instead if "smaller piece" in t)
        pieces = int(told.split(", ")[1].split(" ")[0])
        self.assertIn(
            f": {made.totals_after.mass_g / pieces:.0f} g instead of {made.totals_before.mass_g / 10:.0f} g", told
        )

    def test_moisture_in_words_at_its_edges(self) -> None:
        cake = measure(batter(12, plain_flour=200, white_sugar=150, butter=100, egg=100, milk=80).lines)
        gauge = replace(
            next(g for g in gauges(families()["butter_cake"], cake) if g.metric.key == "liquid"),
            water_norm=(20.0, 40.0),
        )
        for reach, old, new, wanted in (
            (1.5, 30.0, 29.6, "moister"), (1.5, 30.0, 29.4, "looser"), (1.5, 30.0, 39.9, "moister"), (1.5, 30.0, 40.1, "dense, gummy"), (2.1, 30.0, 35.0, "dense, gummy"),
            (-1.5, 18.0, 18.4, "dense, gummy"), (-1.5, 18.0, 18.6, "firmer"), (-1.5, 25.0, 20.1, "firmer, moist still"), (-1.5, 25.0, 19.9, "dense, gummy"),
        ):  # fmt: skip
            self.assertEqual(_moist(gauge, reach, "dense, gummy", old, new), wanted, (reach, old, new))
        self.assertIn("never bake through", _moist(gauge, 1.5, "dense, gummy", 30.0, 48.0))

    def test_a_title_without_what_stands_beside_it(self) -> None:
        for title, name in (
            ("Ginger cake with lemon icing", "Ginger cake "),
            ("(Secret) loaf", "(Secret) loaf"),
            ("Tart: plum", "Tart"),
        ):
            self.assertEqual(_name_of(title), name)

    def test_a_components_own_sentences_speak_for_it(self) -> None:
        both = Formula(
            "Slice",
            lines_of(white_sugar=100.0),
            8,
            method="Bake the sponge for 20 minutes. Boil the caramel to the soft ball.",
        )
        own = replace(both, method="Boil the caramel to the soft ball.")
        self.assertEqual(_done(both, "the caramel layer", is_alone=False), _done(own, "", is_alone=True))


class Sums(CloseTo):
    def test_savings_go_by_portions(self) -> None:
        made = plan("Cake\nMakes 8\n200 g plain flour\n150 g sugar\n100 g butter\n2 eggs", path="less", cut=0.4)
        batch, one = made.savings_per_batch, made.savings
        for name in ("portion_g", "energy_kcal", "total_sugars_g", "free_sugars_who_g"):
            self.assertClose(getattr(batch, name), 8 * getattr(one, name), absolute=1e-9, msg=name)

    def test_more_water_is_told_as_it_is(self) -> None:
        made = plan(
            "Brownies\nMakes 20\n200 g dark chocolate\n175 g butter\n275 g caster sugar\n3 eggs\n100 g plain flour\n25 g cocoa powder\n150 g cherries\nBake at 170 °C for 28 minutes.",
            path="fruit",
            cut=0.4,
        )
        held = [100 * measure(f.lines)["water"] / measure(f.lines)["mass"] for f in (made.before, made.after)]
        told = next((t for t in made.advice if "more water in every 100 g" in t), None)
        self.assertEqual(told is not None, held[1] - held[0] > 6)
        if told is not None:
            self.assertIn(f"{held[1] - held[0]:.0f} g more water", told)

    def test_what_is_never_baked_is_measured_but_for_its_lift(self) -> None:
        found = check(
            batter(6, double_cream=300, dark_chocolate_70=150, egg_white=120, white_sugar=60), {"": "mousse"}
        )[0]
        keys = {m.key for m in found.measures}
        self.assertTrue({"sugars", "fat"} <= keys, keys)
        self.assertFalse(keys & {"lift", "alkali"})


if __name__ == "__main__":
    unittest.main()
