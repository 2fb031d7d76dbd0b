"""Stated amounts of a line -> grams of one ingredient, their range, and what its words take off."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from functools import cache
from math import isfinite

from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard, units, volume_ml
from sun_crumb.core.reading.agreement import HOLDERS, conflict_of
from sun_crumb.core.reading.one_amount import mass_of, one_amount
from sun_crumb.core.reading.records import Amount, Conflict, ParsedLine
from sun_crumb.core.reference import table

# How far a careful baker's own cup, spoon or piece may stray from the table (judgement).
SPREAD = {"mass": 0.0, "liquid": 0.04, "volume": 0.12, "piece": 0.18, "pinch": 0.4}
# What holds as much as it does in the kitchen it stands in, so that what a line says beside it is its measure.
VESSELS = frozenset({"katori", "teacup", "wineglass"})


@dataclass(frozen=True, slots=True)
class Weight:
    """Grams of a line, their range, what was stated as a weight, and a conflict if the statements disagree."""

    grams: float
    low: float
    high: float
    stated: float | None
    conflict: Conflict | None
    changed: str = ""


def _kind(amount: Amount, ingredient: Ingredient) -> str:
    if amount.unit is None:
        return "piece"
    kind = units()[amount.unit].kind
    return "liquid" if kind == "volume" and ingredient.has_role("liquid", "syrup", "fat", "acid") else kind


def _total(amounts: tuple[Amount, ...], ingredient: Ingredient, cup: CupStandard, form: str) -> float | None:
    parts = [one_amount(a, ingredient, cup, form) for a in amounts]
    known = [p for p in parts if p is not None]
    return sum(known) if len(known) == len(parts) and known else None


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
        next((mass_of(a) for a in (*line.sums, *line.also) if mass_of(a) is not None), None)
        if len(line.sums) <= 1
        else (
            next((mass_of(a) for a in line.also if mass_of(a) is not None), None)
            or (first if all(mass_of(a) is not None for a in line.sums) else None)
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
    conflict = conflict_of(line, ingredient, cup, first, stated) if fluid is None else None
    return Weight(grams, low, high, None if stated is None else stated / share, conflict)


def _part_of_a_tin(line: ParsedLine, ingredient: Ingredient) -> ParsedLine:
    """Return a line that takes a part of a tin with that part of what the tin is said to hold: "3/4 tin condensed milk (395 g)", where whole tins weigh so much."""
    main = line.sums[0] if line.sums else None
    tin = ingredient.measure("tin")
    if main is None or main.unit != "can" or main.middle >= 1 or tin is None:
        return line
    also = tuple(
        replace(a, low=a.low * main.middle, high=a.high * main.middle)
        if (grams := mass_of(a)) is not None and abs(grams / tin.grams - 1) < NEAR_A_TIN
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
    return tuple(replace(a, low=a.low * share, high=a.high * share) if mass_of(a) is not None else a for a in amounts)


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
