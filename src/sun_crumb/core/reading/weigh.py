"""Stated amounts -> grams of one ingredient, and whether two statements of the same amount agree."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from functools import cache
from math import isfinite

from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.household import grams_text, spoon_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard, cup_standards, units, volume_ml
from sun_crumb.core.reading.records import Amount, Conflict, ParsedLine, Statement
from sun_crumb.core.reference import table

AGREE = 0.20
MOST_GRAMS = 50_000.0
# How far a careful baker's own cup, spoon or piece may stray from the table (judgement).
# British pints and ounces beside the US ones [times] (Weights and Measures Act 1985, from memory).
IMPERIAL = {"pint": 568.261 / 473.176, "quart": 568.261 / 473.176, "fl oz": 28.4131 / 29.5735}
METRIC_CUP_ML = 250.0
# Another food, not another way to fill the cup: only where the line says so.
NO_PACKING = frozenset({"mashed", "puréed", "crushed", "ground", "grated"})
# A small and a large fruit beside a medium one [1]: the medians of those fruits whose sizes the pantry holds.
SIZED = {"small": 0.77, "large": 1.26, "extra large": 1.5}
SPREAD = {"mass": 0.0, "liquid": 0.04, "volume": 0.12, "piece": 0.18, "pinch": 0.4}


@dataclass(frozen=True, slots=True)
class Weight:
    """Grams of a line, their range, what was stated as a weight, and a conflict if the statements disagree."""

    grams: float
    low: float
    high: float
    stated: float | None
    conflict: Conflict | None
    changed: str = ""


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


def _kind(amount: Amount, ingredient: Ingredient) -> str:
    if amount.unit is None:
        return "piece"
    kind = units()[amount.unit].kind
    return "liquid" if kind == "volume" and ingredient.has_role("liquid", "syrup", "fat", "acid") else kind


def _total(amounts: tuple[Amount, ...], ingredient: Ingredient, cup: CupStandard, form: str) -> float | None:
    parts = [one_amount(a, ingredient, cup, form) for a in amounts]
    known = [p for p in parts if p is not None]
    return sum(known) if len(known) == len(parts) and known else None


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


@dataclass(frozen=True, slots=True)
class Factor:
    """Words that change what goes in: of tins, or of raw food, *factor* of it is left."""

    words: re.Pattern[str]
    unless: re.Pattern[str] | None
    needs_tin: bool
    roles: tuple[str, ...]
    keys: frozenset[str]
    factor: float
    does: str

    def holds(self, line: ParsedLine, ingredient: Ingredient) -> bool:
        """Return whether the words of a line change this food's weight."""
        if not (ingredient.key in self.keys or (self.roles and ingredient.has_role(*self.roles))):
            return False
        if not self.words.search(line.text) or (self.unless and self.unless.search(line.text)):
            return False
        return not self.needs_tin or bool(_TINNED.search(line.text))


# "200 g beans, tinned, drained" are 200 g of them; a tin, or as much as tins weigh, is not yet drained.
_TINNED = re.compile(
    r"\b(?:tins?|cans?|jars?)\b|\b(?:227|39[05]|4[0-3]\d|540|567|79\d|8[02-5]\d)\s*g\b.*\b(?:tinned|canned)\b", re.I
)


@cache
def _factors() -> tuple[Factor, ...]:
    return tuple(
        Factor(
            re.compile(rf"\b(?:{row['words']})\b", re.I),
            re.compile(row["unless"], re.I) if row["unless"] else None,
            row["needs"] == "tin",
            tuple(row["roles"].split()),
            frozenset(row["keys"].split()),
            float(row["factor"]),
            row["does"],
        )
        for row in table("line_factors")
    )


def weigh(line: ParsedLine, ingredient: Ingredient, cup: CupStandard) -> Weight | None:
    """Return the grams of a parsed line as *ingredient*, with what its words take off: drained, squeezed, only the cream."""
    found = _weigh(line, ingredient, cup)
    if found is None:
        return None
    for factor in _factors():
        if factor.holds(line, ingredient):
            # A tin by its measure in the pantry is weighed without its liquid already.
            if factor.needs_tin and ingredient.measure("tin") and found.stated is None and factor.does == "drained":
                return found
            less = found.grams * factor.factor
            words = f"{factor.does}: {grams_text(found.grams)} becomes {grams_text(less)}"
            return replace(
                found, grams=less, low=found.low * factor.factor, high=found.high * factor.factor, changed=words
            )
    return found


def _weigh(line: ParsedLine, ingredient: Ingredient, cup: CupStandard) -> Weight | None:
    """Return the grams of a parsed line as *ingredient*, or None where nothing stated can be turned into grams.

    A stated weight wins over a cup or a count, unless no standard cup, packing or size comes within 20 % of it:
    then both statements are kept as a conflict. A weight with peel, stone, core or shell counts by its edible part.
    """
    if line.sums and line.sums[0].unit in VESSELS and line.also:
        line = replace(line, sums=line.also[:1], also=line.also[1:])
    line = _part_of_a_tin(line, ingredient)
    share = ingredient.edible_share("" if line.gross == "any" else line.gross) if line.gross else 1.0
    if share < 1.0:
        line = replace(line, sums=_edible(line.sums, share), also=_edible(line.also, share))
    first = _total(line.sums, ingredient, cup, line.form)
    stated = (
        next((_mass(a) for a in (*line.sums, *line.also) if _mass(a) is not None), None)
        if len(line.sums) <= 1
        else (
            next((_mass(a) for a in line.also if _mass(a) is not None), None)
            or (first if all(_mass(a) is not None for a in line.sums) else None)
        )
    )
    others = [(a, one_amount(a, ingredient, cup, a.form or line.form)) for a in line.also]
    fluid = _fluid_ounces(line, ingredient, first)
    if fluid is not None:
        stated = None
    grams = stated if stated is not None else first
    if grams is None:
        grams = next((g for _, g in others if g is not None), None)
    if grams is None or not isfinite(grams):
        return None
    main = line.sums[0] if line.sums else line.also[0]
    kind = "mass" if stated is not None else _kind(main, ingredient)
    is_splash = main.unit == "glug" or (
        main.unit == "dash" and main.text.split()[-1].lower() in ("splash", "drizzle", "squeeze")
    )
    if stated is None and line.sums and (main.unit is None or main.unit in HOLDERS or is_splash) and others:
        # "3 bananas (about 1 cup mashed)", "a splash of milk (30 ml)", "1 tin (170 ml)": the volume says more than the count.
        better = next((g for a, g in others if a.unit and units()[a.unit].kind == "volume" and g), None)
        if better:
            grams, kind = _of_so_many(line, better, first), "volume"
    spread = SPREAD.get(kind, 0.15)
    middle = sum(a.middle for a in line.sums) or 1.0
    low = grams * (sum(a.low for a in line.sums) / middle if line.sums else 1.0) * (1 - spread)
    high = grams * (sum(a.high for a in line.sums) / middle if line.sums else 1.0) * (1 + spread)
    conflict = _conflict(line, ingredient, cup, first, stated) if fluid is None else None
    return Weight(grams, low, high, None if stated is None else stated / share, conflict)


def _part_of_a_tin(line: ParsedLine, ingredient: Ingredient) -> ParsedLine:
    """Return a line that takes a part of a tin with that part of what the tin is said to hold: "3/4 tin condensed milk (395 g)", where whole tins weigh so much."""
    main = line.sums[0] if line.sums else None
    tin = ingredient.measure("tin")
    if main is None or main.unit != "can" or main.middle >= 1 or tin is None:
        return line
    also = tuple(
        replace(a, low=a.low * main.middle, high=a.high * main.middle)
        if (grams := _mass(a)) is not None and abs(grams / tin.grams - 1) < NEAR_A_TIN
        else a
        for a in line.also
    )
    return replace(line, also=also)


# What is so near the usual tin is the whole tin [share] (judgement).
NEAR_A_TIN = 0.1


def _of_so_many(line: ParsedLine, grams: float, first: float | None) -> float:
    """Return the grams of several tins from the volume beside them: of one of them where that is nearer to what tins hold."""
    main = line.sums[0]
    if main.unit not in HOLDERS or main.middle <= 1 or first is None:
        return grams
    return min((grams, grams * main.middle), key=lambda g: max(g / first, first / g))


def _edible(amounts: tuple[Amount, ...], share: float) -> tuple[Amount, ...]:
    return tuple(replace(a, low=a.low * share, high=a.high * share) if _mass(a) is not None else a for a in amounts)


def _mass(amount: Amount) -> float | None:
    if amount.unit is None or units()[amount.unit].kind != "mass":
        return None
    value = units()[amount.unit].value
    assert value is not None
    return amount.middle * value


def _fluid_ounces(line: ParsedLine, ingredient: Ingredient, first: float | None) -> float | None:
    """Return the mL of ounces that can only be fluid ones ("1 cup (8 oz) milk"), or None."""
    if not ingredient.has_role("liquid", "syrup", "fat") or first is None:
        return None
    if any(amount.unit in ("g", "kg") for amount in line.also):
        return None  # "1 cup (8 oz/227 g) butter": the weight is told
    for amount in line.also:
        if amount.unit == "oz" and line.sums[0].unit in ("cup", "tbsp", "ml", "pint"):
            ml = amount.middle * 29.57
            cups = volume_ml(line.sums[0].middle, line.sums[0].unit, cup_standard("us"))
            if abs(ml / cups - 1) < 0.06:
                return ml
    return None


def _agrees(low: float, high: float, grams: float) -> bool:
    # A few grams are stated to the whole gram.
    slack = 0.5 if grams < 10 else 0.0
    return low * (1 - AGREE) - slack <= grams <= high * (1 + AGREE) + slack


# Units of as much as is written on them.
# How many times heavier or lighter than the table's a piece may be before its weight is doubted: grown, and sorted by size (judgement).
GROWN, SORTED = 1.6, 1.3
HOLDERS = frozenset({"can", "packet", "bottle", "dessertglass", "bicchiere", "cube"})
_BY_THE_PACK = re.compile(
    r"(?:(?:shop[- ]?)?bought\s|ready[- ]?made\s|(?:\w+\s+)?swiss rolls?|trifle sponges?|rolls?|sheets?|blocks?|packs?|tubs?|logs?)\b",
    re.I,
)


# What holds as much as it does in the kitchen it stands in, so that what a line says beside it is its measure.
VESSELS = frozenset({"katori", "teacup", "wineglass"})


def _conflict(
    line: ParsedLine, ingredient: Ingredient, cup: CupStandard, first: float | None, stated: float | None
) -> Conflict | None:
    """Return the conflict between a stated weight and the cups or pieces beside it, if nothing reconciles them."""
    if stated is None:
        return _volumes_conflict(line, ingredient, cup)
    if len(line.sums) > 1 and line.also and all(_mass(a) is None for a in line.sums):
        ranges = [possible_grams(a, ingredient, line.form) for a in line.sums]
        low, high = sum(r[0] for r in ranges), sum(r[1] for r in ranges)
        if high > 0 and not _agrees(low, high, stated) and first is not None:
            return _told(" + ".join(a.text for a in line.sums), first, stated, ingredient, cup)
        return None
    if len(line.sums) <= 1 and (found := _masses_conflict(line)):
        return found
    if _BY_THE_PACK.match(line.name):
        return None  # a roll or a block of it, or a cake as it was bought, weighs what it says
    for amount in (*line.sums, *line.also):
        if _mass(amount) is not None or (
            amount.unit is not None and units()[amount.unit].kind not in ("volume", "piece")
        ):
            continue
        low, high = _possible(line, amount, ingredient)
        if high <= 0 or (
            amount.unit is not None
            and amount.unit in ("packet", "can", "bottle", "handful", "slice", "sprig", "knob", "scoop", "sheet")
        ):
            continue
        if not _agrees(low, high, stated):
            usual = one_amount(amount, ingredient, cup, line.form)
            return _told(amount.text, usual if usual is not None else low, stated, ingredient, cup)
    return None


def _possible(line: ParsedLine, amount: Amount, ingredient: Ingredient) -> tuple[float, float]:
    """Return between what weights an amount beside a stated weight may lie [g]: pieces as growers know them, with their peel or without."""
    low, high = possible_grams(amount, ingredient, line.form)
    # What is medium to one grower is large to another, of roots most of all; eggs are sorted.
    is_piece = amount.unit in (None, "piece") and not ingredient.has_role("egg")
    wider = (
        GROWN
        if is_piece and ingredient.has_role("fruit")
        else SORTED
        if is_piece and (amount.size or amount.unit)
        else 1.0
    )
    share = ingredient.edible_share("") if amount.unit is None and not line.gross else 1.0
    return low / wider, high * wider / share


def _masses_conflict(line: ParsedLine) -> Conflict | None:
    """Return the conflict between two weights of a line ("200 g (9 oz)"), or None."""
    masses = [(a.text, m) for a in (*line.sums, *line.also) if (m := _mass(a)) is not None]
    for _, other in masses[1:]:
        first = masses[0][1]
        if abs(other / first - 1) > AGREE:
            statements = (Statement(masses[0][0], first), Statement(masses[1][0], other))
            return Conflict(statements, f"{grams_text(first)} or {grams_text(other)}")
    return None


def _volumes_conflict(line: ParsedLine, ingredient: Ingredient, cup: CupStandard) -> Conflict | None:
    """Return the conflict between two volumes ("1 cup (400 ml)") or a count and a volume that nothing reconciles."""
    if len(line.sums) != 1 or not line.also:
        return None
    main = line.sums[0]
    if main.unit in ("dash", "glug") or main.unit in HOLDERS:
        return None  # a splash is as much as it says it is, and a tin holds what stands on it
    for other in line.also:
        one, two = (
            possible_grams(main, ingredient, line.form),
            possible_grams(other, ingredient, other.form or line.form),
        )
        if one[1] <= 0 or two[1] <= 0:
            continue
        # A count beside a cup says little.
        slack = 1 + (AGREE if _is_measured(main) and _is_measured(other) else 3 * AGREE)
        if one[0] > two[1] * slack or two[0] > one[1] * slack:
            first, second = one_amount(main, ingredient, cup, line.form), one_amount(other, ingredient, cup, line.form)
            return Conflict(
                (Statement(main.text, first or one[0]), Statement(other.text, second or two[0])),
                f"{main.text} and {other.text} are different amounts",
            )
    return None


def _is_measured(amount: Amount) -> bool:
    return amount.unit is not None and units()[amount.unit].kind in ("mass", "volume")


def _whole(grams: float) -> float:
    return round(grams, 0 if grams >= 10 else 1)


def _told(text: str, usual: float, stated: float, ingredient: Ingredient, cup: CupStandard) -> Conflict:
    spoons = ingredient.spoons(cup)
    each = ingredient.measure("each")
    if spoons is not None and ingredient.measure("cup"):
        fits = f"{grams_text(stated)} is about {spoon_text(stated, spoons)}; {text} is about {grams_text(usual)}"
    elif each is not None:
        fits = f"{grams_text(stated)} is about {stated / each.grams:.0f} pieces; {text} is about {grams_text(usual)}"
    else:
        fits = f"{grams_text(stated)} against {grams_text(usual)}"
    return Conflict((Statement(text, _whole(usual)), Statement(grams_text(stated), _whole(stated))), fits)
