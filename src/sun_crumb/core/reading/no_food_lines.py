"""Lines that speak of no food of the recipe: dates and ratings, labels, how much it all makes, how long it keeps, what is made above, what may be swapped."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Sequence

from sun_crumb.core.reading.evened import FREE_OF
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.portion_asides import bare_count
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Role


def no_food_lines(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that speak of no food of the recipe, by their numbers: junk, a note, portions or a step.

    Parameters
    ----------
    found
        What the lines of a text say, in order.
    """
    several = Counter(s.line.number for s in found)
    # Beside the dessert's name it says no more than that.
    apart = [s for s in found if several[s.line.number] == 1 or s.line.number != found[0].line.number]
    return {
        **_so_long(found),
        **{s.line.number: "junk" for s in apart if _says_no_food(s)},
        **{s.line.number: "chatter" for s in found[1:] if _HANDED_OVER.fullmatch(s.line.raw)},
        **_labels(found),
        **{s.line.number: "step" for s in found[1:] if _counts_first(s.text) or _HEAT_FIRST.match(s.raw)},
        **{
            s.line.number: "note"
            for s in found
            if _VARIES.match(s.text) or _OF_ITSELF.fullmatch(s.text) or _MEASURED_IN.fullmatch(s.text)
        },
    }


def _says_no_food(statement: Statement) -> bool:
    return any(_SAYS_NO_FOOD.fullmatch(said) for said in (statement.text, statement.line.raw))


def _so_long(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that say for how long, and no food: "2 months easy"."""
    return {s.line.number: "note" for s in found if _A_WHILE.match(s.text) and len(s.text.split()) <= MOST_A_WHILE}


# A line that says for how long and no more has so many words (judgement).
MOST_A_WHILE = 4
_A_WHILE = re.compile(
    r"\W*(?:about |up to |for )?\d{1,2}(?:\s?[-–]\s?\d{1,2})?\s+(?:months?|weeks?|days|years?)\b", re.I
)


def _labels(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that tell what a portion holds, as a label does: "1 serving • 390 kcal • 14 g protein"."""
    return {
        s.line.number: "portions" if statements(s.line.raw) else "junk"
        for s in found
        if _ENERGY.search(s.line.raw) and len(s.line.raw) < SHORT_LABEL and _NUTRIENT.search(s.line.raw)
    }


def _counts_first(text: str) -> bool:
    """Return whether a line tells how many there are, and more in a sentence behind: "Ten slices. Freezes like a dream"."""
    first, *behind = re.split(r"[.!]\s+(?=[A-Z\d])", text, maxsplit=1)
    count = bare_count(first) if behind and len(first.split()) <= MOST_A_WHILE else None
    if (
        count is None
        and behind
        and not re.search(r"\d|\b(?:makes|serves|yields?|gives|about|approx|ca|for)\b", first, re.I)
    ):
        count = bare_count(behind[-1])  # "Waffle iron. 6 waffles"
    return count is not None and count.count is not None and count.count.kind in ("piece", "person")


# "Hi! Here it is:"
_HANDED_OVER = re.compile(
    r"\W*(?:(?:hi|hiya|hello|hey|ok|okay|right|so|well)\b(?: [^\W\d_]+)?[\s,.!:–-]*)?(?:here\s+(?:it is|they are|you (?:go|are)|we go|goes|is the (?:recipe|list))|as (?:promised|requested)|you asked for it)\W*",
    re.I,
)
# "350. 9x13. 25-30 min. 24 bars"
_HEAT_FIRST = re.compile(
    r"\s*(?:1[2-9]\d|2[0-4]\d|3[0-9][05]|4[0-5][05])\s*°?\s*[CF]?\.\s.{0,60}\b\d{1,3}\s*(?:min|m\b|h\b|hr|hour)", re.I
)
# No longer than this is a label [characters] (judgement).
SHORT_LABEL = 100
_ENERGY = re.compile(r"\d\s*(?:kcal|calories|cals?|kj)\b|\bcalories\b", re.I)
_NUTRIENT = re.compile(r"\b(?:protein|carbs?|carbohydrates?|fat|fibre|fiber|sugars?|sodium|salt)\b", re.I)
# "October 12", "3 May 2019": when it was written
_MONTH = r"(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)\.?"
_DATED = rf"(?:(?:last\s+)?(?:posted|published|updated|written|modified)\s*:?\s+(?:on:?\s+)?)?(?:{_MONTH}\s+\d{{1,2}}(?:st|nd|rd|th)?|\d{{1,2}}(?:st|nd|rd|th)?\s+(?:of\s+)?{_MONTH})(?:,?\s+(?:19|20)\d\d)?\W*|{_MONTH}\s+(?:['’]\d\d|(?:19|20)\d\d)\W*"
# "4.8 (211)": how many readers liked it; "easy": how hard it is
_RATED = r"\W*[1-5][.,]\d\s*\(\d{1,5}\)\W*"
_LEVEL = r"\W*(?:(?:difficulty|level|skill)(?: level)?\s*[:=-]?\s*)?(?:very |quite |super )?(?:easy|simple|medium|intermediate|beginner|advanced|tricky|hard|difficult|challenging)\W*"
# "Net carbs: 2 g per cookie"
_OF_ONE_PIECE = r"\W*(?:net\s+)?(?:carbs?|carbohydrates?|protein|fib(?:re|er)|fat|sugars?|salt|calories|energy|kcal|macros?)\s*[:=-]?\s*(?:about\s+|approx\.?\s+)?\d+(?:[.,]\d+)?\s*(?:g|mg|kcal|kj|cals?)?\s*(?:per|a|an|each)\s+(?:[^\W\d_]+\s+)?(?:serving|portion|slice|piece|cookie|biscuit|bar|ball|square|muffin|person|one)\b.{0,30}"
# "Recipe no. 27", "Vol. 2, p. 118", "Cost: about 4.50", "For Easter 2019"
_NUMBERED = r"\W*(?:recipe|issue|vol(?:ume)?|page|pg|no|nr|number|card|chapter|edition|cost|price)\b[.:]?\s*(?:(?:no|nr)\b\.?|about|approx\.?)?\s*[£$€#]?\d{1,4}(?:[.,]\d\d?)?\b(?:\s*(?:of|/)\s*\d+)?(?:,\s*p\.?\s*\d+)?\W*|(?:for|from|since|at)\s+(?:my\s+|our\s+|the\s+)?(?:[^\W\d_]+\s+){1,3}(?:19|20)\d\d\W*"
# "Good for lunchboxes!"
_PRAISE = r"\W*(?:great|good|perfect|lovely|ideal|nice)\s+(?:for|with|as|at)\b[^\d]*"
# "A cup = 250 ml"
_HOW_LARGE = r"\W*(?:(?:an?|1|one|my|the|this|all)\s+)?(?:(?:level|standard)\s+)?(?:cup|mug|glass|tbsp|tablespoon|tsp|teaspoon|spoon)s?\s*(?:=|is|holds|are|means)\s*(?:about\s+)?\d+\s*ml\b.*"
# "#dessert #nobake"
# "Key: c = cup, T = tablespoon"
_KEY = r"\W*(?:key|legend|abbreviations?)\s*:\s*\w+\s*=.*"
_TAGS = r"\s*(?:#\w+\s+){2,12}#\w+\s*"
_SIZE_OF_ONE = r"\W*serving size\b.{0,60}"
_SO_MUCH = r"\W*(?:yields?|makes|gives)\s*:?\s*(?:about|approx\.?|around|roughly)?\s*[\d½¼¾][\d½¼¾.,/ ]*\s*(?:lbs?|pounds?|kg|g|grams|oz|ounces|ml|litres?|liters?|l|pints?|quarts?|cups?)\b\.?\W*"
_SO_MANY_JARS = r"\W*(?:about\s+|approx\.?\s+)?\d{1,2}\s+(?:small\s+|large\s+)?(?:jars?|bottles?)(?:\s*(?:of|x|à)?\s*\d+\s*(?:ml|g))?(?:\s+each)?\W*"
# "23 cm square", "20 x 30 tin"
_SHAPE = r"\W*\d{1,2}\s*(?:(?:x|×|by)\s*\d{1,2}\s*)?-?(?:cm|inch(?:es)?|in\.?|\"|″)?\s*(?:square|round|loaf|bundt|springform|ring|deep|baking|brownie|cake|tart)?\s*(?:tin|pan|dish|ring|mould|tray|square|round|springform)\W*"
# "I do 4"
_SO_MANY_AT_ONCE = (
    r"\W*(?:I|we)\s+(?:usually\s+|always\s+)?(?:do|make)\s+\d{1,2}(?:\s+(?:of (?:them|these)|at a time|at once))?\W*"
)
# "Forno a 180 graus por 40 minutos"
_OVEN_ABROAD = r"\W*(?:forno|four|horno|(?:back)?ofen|ugn|ovn)\s+(?:à|a|bei|auf|på)?\s*\d{3}\b.*"
_SAYS_NO_FOOD = re.compile(
    rf"{_NUMBERED}|{_OF_ONE_PIECE}|{_SO_MANY_AT_ONCE}|{_KEY}|{_SHAPE}|{_SO_MUCH}|{_PRAISE}|{_HOW_LARGE}|{_TAGS}|{_SO_MANY_JARS}|{_SIZE_OF_ONE}|{_DATED}|{_RATED}|{_LEVEL}|\W*{FREE_OF}\W*|{_OVEN_ABROAD}",
    re.I,
)
# "(all g except eggs)"
_MEASURED_IN = re.compile(
    r"\W*(?:all|everything|weights?|amounts?|quantities)\b[^\d.]{0,24}\b(?:g|grams?|grammes?)\b[^\d.]{0,30}", re.I
)
# "a third of the base mix": what is made above, and no food of its own
_OF_ITSELF = re.compile(
    r"(?:(?:an?|one|two|the|about)\s+)*(?:half|halves|thirds?|quarters?|rest|remainder|remaining|reserved|leftover)\s+(?:of\s+)?(?:the\s+|your\s+)?(?:\w+\s+){0,2}(?:mix|mixture|dough|batter|crumble|crumbs?|pastry|custard|filling|glaze|icing|frosting|base|topping|sauce|syrup)(?:\s+(?:from|of|above|mix|mixture)\b.*)?",
    re.I,
)
# "Swap the honey for 120g maple syrup": another dessert, and no food of this one
_VARIES = re.compile(
    r"(?:swap|replace|substitute|exchange)\b.{3,60}\b(?:for|with|by)\b|(?:you can|feel free to)\s+(?:also\s+)?(?:use|swap|add|replace)\b",
    re.I,
)
