"""Whether two statements of the same amount agree: a weight, and the cups or pieces beside it."""

from __future__ import annotations

import re

from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.household import grams_text, spoon_text
from sun_crumb.core.quantities.measures import CupStandard, units
from sun_crumb.core.reading.one_amount import mass_of, one_amount, possible_grams
from sun_crumb.core.reading.records import Amount, Conflict, ParsedLine, Statement

# How far apart two statements may be and still say the same [share] (judgement).
AGREE = 0.20


def _agrees(low: float, high: float, grams: float) -> bool:
    # A few grams are stated to the whole gram.
    slack = 0.5 if grams < 10 else 0.0
    return low * (1 - AGREE) - slack <= grams <= high * (1 + AGREE) + slack


# How many times heavier or lighter than the table's a piece may be before its weight is doubted: grown, and sorted by size (judgement).
GROWN, SORTED = 1.6, 1.3
# Units of as much as is written on them.
HOLDERS = frozenset({"can", "packet", "bottle", "dessertglass", "bicchiere", "cube"})
_BY_THE_PACK = re.compile(
    r"(?:(?:shop[- ]?)?bought\s|ready[- ]?(?:made|rolled)\s|(?:\w+\s+)?swiss rolls?|trifle sponges?|rolls?|sheets?|blocks?|packs?|tubs?|logs?)\b",
    re.I,
)


def conflict_of(
    line: ParsedLine, ingredient: Ingredient, cup: CupStandard, first: float | None, stated: float | None
) -> Conflict | None:
    """Return the conflict between a stated weight and the cups or pieces beside it, if nothing reconciles them."""
    if stated is None:
        return _volumes_conflict(line, ingredient, cup)
    if len(line.sums) > 1 and line.also and all(mass_of(a) is None for a in line.sums):
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
        if mass_of(amount) is not None or (
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
    is_grown = _is_piece(amount) or (amount.unit in ("stick", "stalk") and ingredient.has_role("fruit"))
    is_piece = is_grown and not ingredient.has_role("egg")
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
    masses = [(a.text, m) for a in (*line.sums, *line.also) if (m := mass_of(a)) is not None]
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
        slack *= SORTED if ingredient.has_role("fruit") and _is_piece(main) != _is_piece(other) else 1.0
        if one[0] > two[1] * slack or two[0] > one[1] * slack:
            first, second = one_amount(main, ingredient, cup, line.form), one_amount(other, ingredient, cup, line.form)
            return Conflict(
                (Statement(main.text, first or one[0]), Statement(other.text, second or two[0])),
                f"{main.text} and {other.text} are different amounts",
            )
    return None


def _is_measured(amount: Amount) -> bool:
    return amount.unit is not None and units()[amount.unit].kind in ("mass", "volume")


def _is_piece(amount: Amount) -> bool:
    return amount.unit in (None, "piece")


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
