"""The quantities that a dessert keeps or loses, each additive over its ingredients."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.balance.water_activity import ETHANOL_MOLAR, SOLUTES
from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry import Composition, Ingredient
from sun_crumb.core.reference import constant
from sun_crumb.core.sugars.sweetness import intense_equivalent, linear_sweetness

QUANTITIES = (
    "mass",
    "water",
    "liquid",
    "holding",
    "fat",
    "structure",
    "bulk",
    "freezing",
    "lift",
    "alkali",
    "browning",
    "sweetness",
    "glycosides",
)


@dataclass(frozen=True, slots=True)
class Metric:
    """A ratio of two of the QUANTITIES. ``weight`` says how much a band's width of it matters (judgement).

    A deviation is measured against the original's ratio, or against ``floor`` where that is smaller: in a dry dough each
    spoon of water is a large share of what was there, and still only a spoon; a drizzle's trace of fat is none.
    """

    key: str
    numerator: str
    denominator: str
    weight: float
    floor: float = 0.0


METRICS = {
    m.key: m
    for m in (
        Metric("sweetness", "sweetness", "mass", 1.2),
        Metric("liquid", "liquid", "holding", 1.5),
        Metric("water", "water", "mass", 1.5, 0.12),
        Metric("fat", "fat", "mass", 1.0, 0.05),
        Metric("structure", "structure", "mass", 1.2, 0.03),
        Metric("bulk", "bulk", "mass", 1.0),
        Metric("freezing", "freezing", "water", 1.2),
        Metric("lift", "lift", "mass", 0.8),
        Metric("alkali", "alkali", "mass", 0.8),
        Metric("mass", "mass", "", 1.0),
    )
}


@cache
def contribution(ingredient: Ingredient, is_inclusion: bool = False) -> dict[str, float]:
    """Return what 1 g of an ingredient adds to each of the QUANTITIES.

    Liquid is water and the volume of dissolved sugar [mL]; holding is the water its dry matter takes up [g]; structure
    is starch with flour, egg and milk protein, and binding fibre as much as it stands for [g]; bulk is what dissolves [g]; freezing is the sucrose that would keep as
    much water from freezing, by moles [g]; lift is carbon dioxide [g]; alkali is base less acid [meq]; browning is reducing sugar [g]; sweetness is sucrose equivalent without intense sweeteners
    [g]. An inclusion keeps its water, sugar and fat to itself: it counts for mass and sweetness only.
    """
    c = ingredient.per_100g
    soluble = c.total_sugars_g + c.polyols_g + c.allulose_g + c.inulin_g + c.polydextrose_g + c.dextrin_g
    found = dict.fromkeys(QUANTITIES, 0.0)
    found["mass"] = 1.0
    found["sweetness"] = linear_sweetness(c) / 100
    found["glycosides"] = c.sweet_glycosides_g / 100
    if is_inclusion:
        return found
    found["fat"] = c.fat_g / 100
    found["water"] = c.water_g / 100
    found["liquid"] = (c.water_g + constant("sugar_volume") * (soluble - c.polydextrose_g / 2) + c.alcohol_g) / 100
    found["holding"] = c.water_holding_g_per_g
    sets = ingredient.has_role("flour", "egg", "starch", "binder", "liquid", "dairy", "protein")
    found["structure"] = (c.starch_g + (c.protein_g if sets else 0.0)) / 100
    if ingredient.has_role("binder"):
        found["structure"] += constant("binder_structure") * c.fibre_g / 100
    found["bulk"] = soluble / 100
    found["freezing"] = _as_sucrose(c)
    # Soda's gas comes by its co2 figure, powder's likewise; acid without soda gives none.
    found["lift"] = c.co2_g / 100
    found["alkali"] = (c.base_meq - c.acid_meq) / 100
    found["browning"] = (
        c.glucose_g + c.fructose_g + c.maltose_g * 0.6 + c.lactose_g * 0.6 + c.galactose_g + c.allulose_g * 1.5
    ) / 100
    return found


def _as_sucrose(c: Composition) -> float:
    """Return the sucrose that lowers the freezing point of water as 1 g does [g]: as many moles of it.

    References
    ----------
    Blagden's law: the same for every mole dissolved, of whatever it is.
    """
    sucrose, _ = SOLUTES["sucrose_g"]
    moles = sum(getattr(c, name) / molar for name, (molar, _) in SOLUTES.items()) + c.alcohol_g / ETHANOL_MOLAR
    return float(moles * sucrose / 100)


@cache
def contribution_row(ingredient: Ingredient, is_inclusion: bool = False) -> tuple[float, ...]:
    """Return a contribution as numbers, in the order of QUANTITIES."""
    return tuple(contribution(ingredient, is_inclusion).values())


def measure(lines: Iterable[FormulaLine]) -> dict[str, float]:
    """Return the QUANTITIES of *lines* together, intense sweetness included in sweetness.

    Parameters
    ----------
    lines
        Weighed lines [g]; an inclusion counts for mass and sweetness alone.

    Examples
    --------
    >>> measure([])["mass"]
    0.0

    References
    ----------
    contribution; docs/method.md
    """
    sums = dict.fromkeys(QUANTITIES, 0.0)
    for line in lines:
        for name, value in contribution(line.ingredient, line.is_inclusion).items():
            sums[name] += value * line.grams
    return sweetened(sums)


def sweetened(sums: dict[str, float]) -> dict[str, float]:
    """Return QUANTITIES added up line by line with what the intense sweetness of the whole comes to, which is not additive.

    Parameters
    ----------
    sums
        Sums by the names of QUANTITIES [g, mL, meq]; ``sweetness`` without the intense. Changed in place.
    """
    sums["sweetness"] += intense_equivalent(sums["glycosides"], sums["mass"])
    return sums
