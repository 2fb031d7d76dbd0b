"""The recipe's own words for an amount that is as it was: "2 tbsp" stay 2 tbsp where all else is weighed."""

from __future__ import annotations

import re

from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.quantities.household import fraction_text
from sun_crumb.core.quantities.numbers import FRACTIONS
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.several import statement_of
from sun_crumb.core.reading.words import FORMS

# What a kitchen measures as it is told, whatever it weighs else.
_AS_TOLD = ("tsp", "tbsp", "cup", "ml", "cl", "dl", "l", "oz", "lb", "knob", "handful", "sprig", "glug", "dash")
_PACKED = ("can",)
# "3 sheets of gelatine" are soaked and squeezed, two teaspoons of it are not.
_SHEETS = re.compile(r"\d+\s*(?:sheets?|leaves|leaf)", re.I)
# "3 gelatine leaves"
_LEAVES = re.compile(r"\b(?:sheets?|leaves|leaf)\b", re.I)
# "finely grated zest of 1 lemon"
_OF_A_FRUIT = re.compile(
    r"^(?:(?:finely|coarsely)\s+)?(?:grated\s+)?(?:the\s+)?(?:zest|rind)\s+(?:of|from)\s+(?P<count>\d|½|half an?|an?|one)\s+(?:unwaxed\s+|large\s+|small\s+)?(?P<fruit>lemon|orange|lime|grapefruit)s?$",
    re.I,
)
_FRUIT_ZEST = re.compile(
    r"^(?P<count>\d|½|half an?|an?|one)\s+(?:large\s+|small\s+)?(?P<fruit>lemon|orange|lime|grapefruit)s?\s+(?:zest|rind)$",
    re.I,
)
# Nearer to its old weight than this an amount is as it was [share] (judgement).
SAME_SHARE = 0.004
# Longer words than this are more than an amount [characters] (judgement).
LONGEST_AMOUNT = 18
_HOW_CUT = re.compile(rf"(?:\s+(?:{'|'.join(FORMS)}))+$", re.I)
# "7g sachet": it is weighed already.
_SOLD_IN = re.compile(r"^(\d+(?:\.\d+)?\s*g)\s+(?:sachet|packet|pack|bag|bar|block|pot|tub)s?$", re.I)
_GRAMS = re.compile(r"\d+(?:\.\d+)?\s*g")
_WHOLE_SPICE = re.compile(r"\b(?:vanilla (?:pods?|beans?)|cinnamon sticks?|star anise|tea ?bags?)\b", re.I)
_SLASHED = re.compile(r"(?<![\d/])([1-9])/([2-8])(?![\d/])")


def own_amount(before: Formula, at: int | None, food: str, grams: float) -> str:
    """Return the recipe's own words for an amount that is as it was, or an empty string.

    Parameters
    ----------
    before, at
        The original, and the place of the line in its list; None for what is new.
    food, grams
        The pantry key and the weight [g] that the line has now.
    """
    if at is None or before.by_weight is not None:
        return ""
    was = before.lines[at]
    if was.ingredient.key != food or abs(was.grams - grams) > SAME_SHARE * max(was.grams, 1e-9):
        return ""
    said = statement_of([line.text for line in before.lines], at)
    if fruit := _OF_A_FRUIT.match(said) or _FRUIT_ZEST.match(said):
        many = "" if fruit["count"].lower() in ("1", "½", "a", "an", "one", "half a", "half an") else "s"
        return f"{fruit['count']} {fruit['fruit']}{many}".lower()
    parsed = parse_line(said)
    if len(parsed.sums) == 1 and parsed.sums[0].unit in _PACKED and len(parsed.sums[0].text) <= LONGEST_AMOUNT:
        return parsed.sums[0].text
    one = parsed.sums[0] if len(parsed.sums) == 1 and not parsed.also else None
    if one is not None and was.ingredient.has_role("binder") and _SHEETS.fullmatch(one.text):
        return one.text
    if (
        one is not None
        and one.text.isdigit()
        and was.ingredient.has_role("binder")
        and (leaves := _LEAVES.search(said))
    ):
        return f"{one.text} {leaves[0].lower()}"
    if one is None or one.size or len(one.text) > LONGEST_AMOUNT:
        return ""
    # "2 tbsp flaked almonds": how it is cut is said of the food.
    text = _SOLD_IN.sub(r"\1", _HOW_CUT.sub("", one.text)).lstrip("~≈ ")
    if one.unit == "clove":
        return text.split()[0]
    is_told = one.unit in _AS_TOLD or (one.unit == "g" and _GRAMS.fullmatch(text))
    return _in_glyphs(text) if is_told or _is_counted(was, one.unit, text) else ""


def _is_counted(line: FormulaLine, unit: str | None, amount: str) -> bool:
    """Return whether a line counts pods, sticks or fruit: "1 vanilla pod" is no 3 g of it, "3 bananas" no 330."""
    food = line.ingredient
    if unit is not None or not amount.isdigit():
        return False
    is_fruit = food.group in ("fruit", "morefruit", "vegetable") and not food.has_role("acid", "flavour")
    return (is_fruit and food.measure("each") is not None) or bool(_WHOLE_SPICE.search(line.text))


def _in_glyphs(amount: str) -> str:
    """Return an amount with its fraction as one sign, and its unit apart: "1 1/2 cups" as "1½ cups"."""
    amount = re.sub(r"(?<=\d)(?=[a-zA-Z])", " ", amount)
    found = _SLASHED.search(amount)
    glyph = fraction_text(int(found[1]) / int(found[2])) if found else ""
    if found is None or glyph not in FRACTIONS:
        return amount
    return f"{amount[: found.start()].rstrip()}{glyph}{amount[found.end() :]}"
