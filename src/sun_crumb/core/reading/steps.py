"""What the method part says: oven, baking time, tin, yield."""

from __future__ import annotations

import re

from sun_crumb.core.quantities.numbers import read_quantity
from sun_crumb.core.reading.records import Oven, Yield

_CELSIUS = re.compile(r"(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(?:C\b|celsius|centigrade)", re.I)
_FAHRENHEIT = re.compile(r"(\d{3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(?:F\b|fahrenheit)", re.I)
_BARE = re.compile(r"\b(?:oven|preheat|bake)\b[^.\n]{0,40}?\b(\d{3})\s*(?:°|º|degrees)?", re.I)
_GAS = re.compile(r"\bgas(?:\s*mark)?\s*(\d{1,2}|¼|½)", re.I)
_FAN = re.compile(r"\b(?:fan|convection|fan[- ]forced)\b", re.I)
_FAN_AFTER = re.compile(r"^\s*\(?\s*(?:fan|convection)", re.I)
GAS_MARK_C = {
    "¼": 110,
    "½": 120,
    "1": 140,
    "2": 150,
    "3": 170,
    "4": 180,
    "5": 190,
    "6": 200,
    "7": 220,
    "8": 230,
    "9": 240,
}
_UNITS = (
    r"(?:large |small |medium |mini |big |generous |thin |thick )?"
    r"(servings?|portions?|people|slices?|squares?|bars?|muffins?|cupcakes?|cookies?|biscuits?|brownies?|pieces?|"
    r"cakes?|loaf|loaves|tarts?|buns?|scones?|pancakes?|bowls?|glasses|pots?|ramekins?|truffles?|balls?|bites?|wedges?|"
    r"puddings?|rounds?|fingers?|doughnuts?|donuts?|macaroons?|blondies?|flapjacks?|popsicles?)"
)
_NUMBER = r"(\d{1,3}(?:\s*(?:-|–|to)\s*\d{1,3})?|a dozen|one|two|three|four|five|six|eight|ten|twelve|sixteen|twenty)"
_YIELDS = (
    re.compile(
        rf"(?:serves|feeds|enough for|for)\s*:?\s*(?:about\s+|up to\s+)?{_NUMBER}\b(?!\s*(?:min|hour|sec|°|cm|g\b|inch))(?:\s+{_UNITS})?",
        re.I,
    ),
    re.compile(
        rf"(?:makes?|yields?|yield|quantity|servings?|portions?|serving size|makes about)\s*[:=\-]?\s*(?:about\s+|approx\.?\s+|one\s+\d+\s*(?:cm|inch|in|\")\S*\s+\w+,?\s*)?{_NUMBER}\s*(?:\w+\s+)?{_UNITS}?\b",
        re.I,
    ),
    re.compile(rf"\b(?:cut|slice|divide|portion)d?\s+(?:\w+\s+){{0,4}}?into\s+{_NUMBER}\s+(?:\w+\s+)?{_UNITS}", re.I),
    re.compile(rf"^\W*{_NUMBER}\s+(?:\w+\s+)?{_UNITS}\W*$", re.I | re.M),
)
_TIME = re.compile(
    r"(?P<low>\d{1,3})(?:\s*(?:-|–|to)\s*(?P<high>\d{1,3}))?\s*(?P<unit>min(?:ute)?s?|hours?|hrs?)\b", re.I
)


def read_oven(text: str) -> Oven | None:
    """Return the oven setting of a method text, or None where none is named.

    The plain setting is preferred to the fan one when both are given; gas marks and °F are turned into °C.

    Examples
    --------
    >>> read_oven("Heat the oven to 350 °F.")
    Oven(temperature_c=177.0, is_fan=False)
    """
    plain: float | None = None
    fan: float | None = None
    for match in _CELSIUS.finditer(text):
        value = float(match[1])
        if not 70 <= value <= 300:
            continue
        before, after = text[max(0, match.start() - 14) : match.start()], text[match.end() : match.end() + 14]
        if _FAN_AFTER.match(after) or _FAN.search(before.split("/")[-1].split("(")[-1]):
            fan = fan if fan is not None else value
        else:
            plain = plain if plain is not None else value
    if plain is None and fan is None:
        for match in _FAHRENHEIT.finditer(text):
            value = float(match[1])
            if 170 <= value <= 550:
                plain = float(round((value - 32) / 1.8))
                if _FAN_AFTER.match(text[match.end() : match.end() + 14]):
                    plain, fan = None, plain
                break
    if plain is None and fan is None and (gas := _GAS.search(text)) and gas[1] in GAS_MARK_C:
        plain = float(GAS_MARK_C[gas[1]])
    if plain is None and fan is None and (bare := _BARE.search(text)):
        value = float(bare[1])
        plain = float(round((value - 32) / 1.8)) if value >= 275 else value if value >= 100 else None
    if plain is not None:
        return Oven(plain, False)
    return Oven(fan, True) if fan is not None else None


def read_bake_minutes(text: str) -> tuple[int, int] | None:
    """Return the baking time [min] as a range, or None: the first time named in a sentence that bakes."""
    for sentence in re.split(r"(?<=[.;])\s|\n", text):
        if re.search(r"\bbak(?:e|ing)\b|\bin the oven\b", sentence, re.I) and (match := _TIME.search(sentence)):
            scale = 60 if match["unit"].lower().startswith("h") else 1
            low = int(match["low"]) * scale
            return low, int(match["high"] or match["low"]) * scale
    return None


def read_yield(text: str) -> Yield | None:
    """Return how many the recipe makes, or None where it does not say.

    A range gives its lower end: fewer, larger portions are the cautious reading of sugar per portion.

    Examples
    --------
    >>> read_yield("Makes 12 muffins")
    Yield(count=12, unit='muffin')
    """
    for pattern in _YIELDS:
        for match in pattern.finditer(text):
            span = read_quantity(match[1].lower())
            if span is None or not 1 <= span.low <= 400:
                continue
            unit = match.group(2) if match.re.groups > 1 and match.group(2) else "serving"
            unit = {"people": "serving", "portion": "serving", "loaves": "loaf"}.get(
                unit.lower().rstrip("s"), unit.lower()
            )
            if unit in ("cake", "loaf") and span.low == 1:
                continue
            if unit.startswith("people"):
                unit = "serving"
            return Yield(int(span.low), unit.removesuffix("s") if unit != "glasses" else "glass")
    return None
