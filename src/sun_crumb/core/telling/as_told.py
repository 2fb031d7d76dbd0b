"""The recipe's own words for an amount that is as it was: "2 tbsp" stay 2 tbsp where all else is weighed."""

from __future__ import annotations

import re

from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.formula.told import told_amount
from sun_crumb.core.quantities.household import fraction_text
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.quantities.numbers import FRACTIONS, WORDS
from sun_crumb.core.reading.fruit_parts import ONLY_COUNTED
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.records import Amount
from sun_crumb.core.reading.several import statement_of
from sun_crumb.core.reading.weigh import weigh
from sun_crumb.core.reading.words import FORMS

# What a kitchen measures as it is told, whatever it weighs else.
_AS_TOLD = (
    "tsp",
    "tbsp",
    "dessertspoon",
    "cup",
    "ml",
    "cl",
    "dl",
    "l",
    "pint",
    "fl oz",
    "oz",
    "lb",
    "kg",
    "knob",
    "handful",
    "sprig",
    "glug",
    "dash",
    "slice",
)
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
# So near to a line's weight its own words must come for a plan to be told in them [share; g] (judgement).
AS_TOLD_SHARE, AS_TOLD_G = 0.015, 0.3
_HOW_CUT = re.compile(rf"(?:\s+(?:{'|'.join(FORMS)}))+$", re.I)
# "7g sachet": it is weighed already.
_SOLD_IN = re.compile(r"^(\d+(?:\.\d+)?\s*g)\s+(?:sachet|packet|pack|bag|bar|block|pot|tub)s?$", re.I)
_GRAMS = re.compile(r"\d+(?:\.\d+)?\s*(?:g|gms?|grams?|grammes?)", re.I)
_WHOLE_SPICE = re.compile(
    r"\b(?:vanilla (?:pods?|beans?)|cinnamon sticks?|star anise|tea ?bags?|cardamom pods?|(?:bay|basil|mint|lime|sage|verbena|geranium|curry) lea(?:f|ves))\b",
    re.I,
)
_STRIPS = re.compile(r"\b(?:\d|an?|one|two|three)\s+strips?\b", re.I)
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
    # "2 lemons", of which the method takes the zest and the juice
    whole = ONLY_COUNTED.fullmatch(was.text) if was.ingredient.key.endswith(("_zest", "_juice")) else None
    if fruit := whole or _OF_A_FRUIT.match(said) or _FRUIT_ZEST.match(said):
        many = "" if fruit["count"].lower() in ("1", "½", "a", "an", "one", "half a", "half an") else "s"
        return f"{fruit['count']} {fruit['fruit']}{many}".lower()
    parsed = parse_line(said)
    if (strips := _STRIPS.search(said or was.text)) and was.ingredient.has_role("flavour"):
        return strips[0].lower()
    if not parsed.sums and was.ingredient.has_role("flavour") and "leaf" in {m.unit for m in was.ingredient.measures}:
        return "a little"  # "Mint", to finish with
    if len(parsed.sums) != 1:
        return ""
    one = parsed.sums[0]
    if one.unit in _PACKED and len(one.text) <= LONGEST_AMOUNT:
        return one.text
    return _as_it_says(one, was, said) if not parsed.also or _is_kitchen(one, was) else ""


def amount_before(formula: Formula, at: int, cup: CupStandard) -> str:
    """Return how an original line is told in a plan: in the recipe's own words where they weigh what it does, else as a kitchen measures it.

    Parameters
    ----------
    formula, at
        The original, and the place of the line in its list.
    cup
        The cup that the recipe measures with.
    """
    line = formula.lines[at]
    own = own_amount(formula, at, line.ingredient.key, line.grams)
    # "4 cups (500 g)": where a cup of it weighs something else here, the bracket stays.
    if own.isdigit() and line.ingredient.has_role("flavour") and not line.ingredient.name.endswith("pod"):
        own = ""  # "1 ground cinnamon", that is a stick
    if _OF_A_FRUIT.match(f"zest of {own}"):
        own = ""  # "1 lime" of zest
    for told in (own, f"{own} ({line.grams:.0f} g)") if own else ():
        read = weigh(parse_line(f"{told} {line.ingredient.name}"), line.ingredient, cup)
        is_so = read is not None and abs(read.grams - line.grams) <= max(AS_TOLD_SHARE * line.grams, AS_TOLD_G)
        if is_so and read is not None and read.conflict is None:
            return told
    return told_amount(formula, line, line.grams, cup)[0]


def _as_it_says(one: Amount, was: FormulaLine, said: str) -> str:
    """Return one amount as its line says it, where a kitchen goes by that; else nothing."""
    if was.ingredient.has_role("binder"):
        if _SHEETS.fullmatch(one.text):
            return one.text
        if one.text.isdigit() and (leaves := _LEAVES.search(said)):
            return f"{one.text} {leaves[0].lower()}"
    if (
        one.size
        and was.ingredient.group != "egg"
        and _is_counted(was, one.unit, sized := one.text.removesuffix(one.size).strip())
    ):
        return f"{sized} {one.size}"  # "6 large peaches"
    if one.size or len(one.text) > LONGEST_AMOUNT:
        return ""
    # "2 tbsp flaked almonds": how it is cut is said of the food.
    text = _SOLD_IN.sub(r"\1", _HOW_CUT.sub("", one.text)).lstrip("~≈ ")
    text = f"{WORDS[text.lower()]:.0f}" if text.lower() in WORDS else text
    if one.unit == "pinch":
        return (
            text.lower()
            if re.match(r"an?\s", text, re.I)
            else "a pinch"
            if text.lower() in ("pinch", "1 pinch")
            else ""
        )
    if one.unit == "clove":
        return text.split()[0]
    is_told = one.unit in _AS_TOLD or (one.unit == "g" and _GRAMS.fullmatch(text))
    return _in_glyphs(text) if is_told or _is_counted(was, one.unit, text) else ""


def _is_kitchen(amount: Amount, line: FormulaLine) -> bool:
    """Return whether an amount is what a kitchen goes by, whatever the bracket behind it weighs: "1¼ cups (160 g)", "5 whites (175 g)"."""
    is_egg = line.ingredient.group == "egg" and amount.unit is None and amount.text.isdigit()
    return amount.unit in ("cup", "tbsp", "tsp") or is_egg


def _is_counted(line: FormulaLine, unit: str | None, amount: str) -> bool:
    """Return whether a line counts pods, sticks or fruit: "1 vanilla pod" is no 3 g of it, "3 bananas" no 330."""
    food = line.ingredient
    if unit is not None or not amount.isdigit():
        return False
    if food.group == "egg":
        return True
    is_fruit = food.group not in ("flavour", "leaven", "acid") and not food.has_role("acid", "flavour")
    return (is_fruit and food.measure("each") is not None) or bool(_WHOLE_SPICE.search(line.text))


def _in_glyphs(amount: str) -> str:
    """Return an amount with its fraction as one sign, and its unit apart: "1 1/2 cups" as "1½ cups"."""
    amount = re.sub(r"(?<=\d)(?=[a-zA-Z])", " ", amount)
    found = _SLASHED.search(amount)
    glyph = fraction_text(int(found[1]) / int(found[2])) if found else ""
    if found is None or glyph not in FRACTIONS:
        return amount
    return f"{amount[: found.start()].rstrip()}{glyph}{amount[found.end() :]}"
