"""Grams of one amount of one ingredient: by weight, by the cup and its packing, by the piece and its size."""

from __future__ import annotations

from math import isfinite

from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.measures import CupStandard, cup_standard, cup_standards, units, volume_ml
from sun_crumb.core.reading.records import Amount

# More than this in one line is no kitchen's [g] (judgement).
MOST_GRAMS = 50_000.0
# British pints and ounces beside the US ones [times] (Weights and Measures Act 1985, from memory).
IMPERIAL = {"pint": 568.261 / 473.176, "quart": 568.261 / 473.176, "fl oz": 28.4131 / 29.5735}
METRIC_CUP_ML = 250.0
# Another food, not another way to fill the cup: only where the line says so.
NO_PACKING = frozenset({"mashed", "puréed", "crushed", "ground", "grated"})
# A small and a large fruit beside a medium one [1]: the medians of those fruits whose sizes the pantry holds.
SIZED = {"small": 0.77, "large": 1.26, "extra large": 1.5}


def one_amount(amount: Amount, ingredient: Ingredient, cup: CupStandard, form: str = "") -> float | None:
    """Return the grams of *amount* of *ingredient*, or None where the pantry knows no such measure of it."""
    if amount.unit is None:
        return _pieces(amount, ingredient, form)
    unit = units()[amount.unit]
    if unit.kind == "mass":
        assert unit.value is not None
        return amount.middle * unit.value
    if unit.kind == "volume":
        return _volume(amount, ingredient, cup, amount.form or form)
    measure = _by_word(amount, ingredient)
    if measure is not None:
        return amount.middle * measure * amount.factor
    if unit.kind == "pinch":
        assert unit.value is not None
        is_poured = ingredient.has_role("liquid") or ingredient.key.endswith("_oil")
        if is_poured or (ingredient.has_role("syrup", "acid") and ingredient.group != "leaven"):
            return amount.middle * (5.0 if amount.unit == "dash" else 1.0)
        per_ml = ingredient.density_g_per_ml()
        # A pinch of salt weighs 0.36 g; of anything else, the same volume of it.
        return amount.middle * unit.value * (per_ml / 1.23 if per_ml else 1.0)
    if amount.unit in ("piece", "slice", "clove"):
        return _pieces(amount, ingredient, form)
    return None


def _by_word(amount: Amount, ingredient: Ingredient) -> float | None:
    """Return the weight of one of the unit as its own word says: "tin", "sheet", "cube", or the unit's key."""
    spoken = amount.text.lower().split()
    for word in reversed(spoken):
        for name in (word.rstrip("s."), word):
            for measure in ingredient.measures:
                if measure.unit == name:
                    return measure.grams
    assert amount.unit is not None
    found = ingredient.measure(amount.unit) or (ingredient.measure("tin") if amount.unit == "can" else None)
    return found.grams if found else None


def _pieces(amount: Amount, ingredient: Ingredient, form: str) -> float | None:
    of_form = (m for m in ingredient.forms("each") if form and m.form == form and not amount.size)
    measure = next(of_form, None) or ingredient.measure("each", amount.size)
    if measure is None:
        return None
    if amount.unit == "slice" and ingredient.has_role("fruit") and measure.grams >= LEAST_SLICED_G:
        return amount.middle * measure.grams / SLICES_OF_A_FRUIT  # "2 slices of lemon"
    # Fruit whose sizes the pantry does not hold one by one.
    usual = 1.0 if measure.form or not ingredient.has_role("fruit") else SIZED.get(amount.size, 1.0)
    return amount.middle * measure.grams * amount.factor * usual


# A fruit that weighs so much [g] is cut into so many slices [1] (judgement).
LEAST_SLICED_G, SLICES_OF_A_FRUIT = 50.0, 10


def _volume(amount: Amount, ingredient: Ingredient, cup: CupStandard, form: str) -> float | None:
    assert amount.unit is not None
    # Where cups are metric a pint is the British one.
    imperial = IMPERIAL.get(amount.unit, 1.0) if cup.cup_ml == METRIC_CUP_ML else 1.0
    ml = volume_ml(amount.middle, amount.unit, cup) * amount.factor * imperial
    us = cup_standard("us")
    small = {"tbsp": us.tablespoon_ml, "tsp": us.teaspoon_ml, "spoon": us.tablespoon_ml}
    if amount.unit in small and not form:
        measure = ingredient.measure("tbsp" if amount.unit == "spoon" else amount.unit)
        if measure:
            return ml / small[amount.unit] * measure.grams
    density = ingredient.density_g_per_ml(form)
    if density is None:
        per_piece = ingredient.measure("each")
        # A cup of something known only by the piece (fresh fruit): about half air.
        return ml * 0.6 if per_piece else None
    return ml * density


def possible_grams(amount: Amount, ingredient: Ingredient, form: str) -> tuple[float, float]:
    """Return the least and most grams that *amount* can mean: any cup standard, packing or size."""
    found: list[float] = []
    for cup in cup_standards().values():
        for low_high in (amount.low, amount.high):
            one = Amount(low_high, low_high, amount.unit, amount.text, amount.size, amount.form, amount.factor)
            packings = {form, "", *(m.form for m in ingredient.forms("cup") if m.form not in NO_PACKING)}
            for packing in packings if not amount.form else {amount.form}:
                grams = one_amount(one, ingredient, cup, packing)
                if grams is not None:
                    found.append(grams)
    if amount.unit is None and not amount.size:
        found += [m.grams * q for m in ingredient.forms("each") for q in (amount.low, amount.high)]
    return (min(found), max(found)) if found else (0.0, 0.0)


def is_absurd(amount: Amount) -> bool:
    """Return whether an amount is no number for a kitchen: zero, infinite, or beyond a bakery's sack."""
    if not isfinite(amount.low) or not isfinite(amount.high) or amount.low < 0 or amount.high <= 0:
        return True
    unit = units()[amount.unit] if amount.unit else None
    grams = amount.high * (unit.value or 1.0) if unit else amount.high * 5
    return grams > MOST_GRAMS


def is_too_strong(ingredient: Ingredient, grams: float) -> bool:
    """Return whether so much of an extract, of salt or of soda is in no dessert: the words meant another food ("vanilla ice cream")."""
    return any(key == ingredient.key and grams > most for key, most in MOST_OF_IT.items())


# More than this is in no batch of a home kitchen [g] (common practice).
MOST_OF_IT = {
    "vanilla": 90.0,
    "almond_extract": 60.0,
    "salt": 400.0,
    "baking_soda": 120.0,
    "saffron": 10.0,
    "food_colouring": 120.0,
}


def mass_of(amount: Amount) -> float | None:
    """Return the grams of an amount that is a weight, or None."""
    if amount.unit is None or units()[amount.unit].kind != "mass":
        return None
    value = units()[amount.unit].value
    assert value is not None
    return amount.middle * value
