"""The oven's heat that a method tells: in °C, °F, gas marks or words, beside a fan's, and no syrup's or oil's."""

from __future__ import annotations

import re

from sun_crumb.core.reading.records import Oven

_CELSIUS = re.compile(r"(?<!\d)(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(?:C\b|celsius|centigrade)", re.I)
_LOWER = re.compile(r"(?<!\d)(\d{3})\s*(?:°|º)?\s*(?:-|–|—|to|bis)\s*$", re.I)
_FAHRENHEIT = re.compile(r"(?<!\d)(\d{3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(?:F\b|fahrenheit)", re.I)
_BARE = re.compile(
    r"\b(?:oven|preheat|bakes?|temp(?:erature)?\s?[:=])(?!\w)[^\n]{0,40}?\b(\d{3})(?!\d|\s*(?:g|gr|grams|ml|kg|kcal|m|mins?|minutes)\b)\s*(?:°|º|degrees)?",
    re.I,
)
_BARE_BEFORE = re.compile(r"\b(\d{3})\s*(?:°|º|degrees?)?\s*oven\b", re.I)
_DEGREES = re.compile(r"\b(\d{3})\s*(?:°|º|degrees)(?!\s*[CF]\b)", re.I)
_FAN_FIRST = re.compile(r"^\W*fan(?:\s+oven)?\s*:?\s*(1[1-9]\d|2[0-4]\d)\b", re.I)
_FAN_BEHIND = re.compile(
    r"(?<![\d.,/(])(?<!\d{3} [/(])(?<![^/]/ )(1[1-9]\d|2[0-4]\d)\s*(?:°|º)?\s*fan\b(?!\s*:?\s*\d(?![\d½¼¾.–-]*\s*(?:h\b|hr|hour|m\b|min)))",
    re.I,
)  # "loaf tin, 170 fan, 45 min"
# "160 fan / 180"
_PLAIN_BEHIND = re.compile(r"\s*[/,(]\s*(1[3-9]\d|2[0-5]\d)\b(?!\s*(?:°\s*)?C?\s*fan|\s*min|\s*g\b)", re.I)
_BARE_FAN = re.compile(
    r"\s*(?:°|º|degrees)?\s*\(?\s*(?:fan|convection)\b(?!\s*(?:oven)?\s*:?\s*\d{2,3}(?!\d)(?!\s*(?:(?:-|–|to)\s*\d+\s*)?(?:m|h)))",
    re.I,
)
_GAS = re.compile(
    r"\b(?:gas(?:\s*mark)?|reg(?:ulo|\.)?|gm)\s*(\d{1,2}|¼|½)|\bmark\s*([1-9]|¼|½)(?=\s*(?:[,.;:)]|for\b|$))", re.I
)
# How ovens without figures were told, the longest words first [°C] (common practice).
_IN_WORDS = (
    ("very slow", 120),
    ("very cool", 120),
    ("very moderate", 160),
    ("moderately hot", 190),
    ("fairly hot", 190),
    ("very hot", 230),
    ("slow", 150),
    ("cool", 140),
    ("moderate", 180),
    ("medium", 180),
    ("hot", 220),
)
_WORDED = re.compile(
    rf"\b({'|'.join(words for words, _ in _IN_WORDS)})\s+oven\b|\boven\s*(?:to|at|on|:)\s*({'|'.join(words for words, _ in _IN_WORDS if words != 'cool')})\b",
    re.I,
)
_FAN = re.compile(r"\b(?:fan|convection|fan[- ]forced)\b", re.I)
_FAN_AFTER = re.compile(
    r"^\s*\(?\s*(?:fan|convection)(?!\s*(?:oven)?\s*:?\s*\d{2,3}(?!\d)(?!\s*(?:(?:-|–|to)\s*\d+\s*)?(?:m|h)))", re.I
)
_PLAIN_FIRST = re.compile(r"\b(?:conventional|static)(?:\s+oven)?\s*:?\s*(\d{3})\b", re.I)
_PLAIN_NAMED = re.compile(
    r"(\d{3})\s*(?:°|º)?\s*(?:C\b)?\s*(?:conventional|static|regular|without fan|no fan|top and bottom)", re.I
)
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


_TENS = ("ten", "twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety")
_HUNDREDS = ("one", "two", "three", "four")
# "one hundred and seventy"
_IN_HUNDREDS = re.compile(
    rf"\b({'|'.join(_HUNDREDS)})[ -]hundred(?:(?: and)?[ -]({'|'.join(_TENS)}))?(?:[ -](five))?\b", re.I
)


def _in_figures(text: str) -> str:
    """Return a text with its hundreds in figures: "one hundred and seventy degrees" as "170 degrees"."""

    def told(found: re.Match[str]) -> str:
        hundreds = 100 * (_HUNDREDS.index(found[1].lower()) + 1)
        tens = 10 * (_TENS.index(found[2].lower()) + 1) if found[2] else 0
        return str(hundreds + tens + (5 if found[3] else 0))

    return _IN_HUNDREDS.sub(told, text) if "hundred" in text.lower() else text


def read_oven(text: str) -> Oven | None:
    """Return the oven setting of a method text, or None where none is named.

    The plain setting is preferred to the fan one when both are given; gas marks and °F are turned into °C.

    Examples
    --------
    >>> read_oven("Heat the oven to 350 °F.")
    Oven(temperature_c=177.0, is_fan=False)
    """
    text = _GLUED_FAN.sub(r"\1 fan", text)
    text = _FAN_ABROAD.sub("fan", _DEGREES_ABROAD.sub(r"\1 degrees", _in_figures(text)))
    if (plain := _PLAIN_FIRST.search(text)) and int(plain[1]) <= HOTTEST_C:
        return Oven(float(plain[1]), False)  # "Conventional 190, fan 170"
    if first := _HEAT_FIRST.match(text):
        return _setting(f"oven {first[1]} {first[2]} {first[3] or ''}", is_oven=True)
    for is_oven in (True, False):
        for sentence in SENTENCES.split(text):
            if bool(_OVEN_WORDS.search(sentence)) == is_oven and (found := _setting(sentence, is_oven=is_oven)):
                return found
    timed = (
        TIMED.search(text)
        or _BEGUN.search(text)
        or _GOES_IN.search(text)
        or _FAN_BESIDE.search(text)
        or _MINUTES_AT.search(text)
        or FOR_SO_LONG.search(text)
        or _DEGREES_THEN_TIME.search(text)
        or _HEAT_ALONE.search(text)
        or _THEN_LOWER.search(text)
        or _ABROAD.search(text)
        or _GAS_BESIDE.search(text)
        or _MINUTES_FIRST.search(text)
    )
    found = _setting(f"oven {timed[1]} {' '.join(filter(None, timed.groups()[1:]))}", is_oven=True) if timed else None
    if found and (found.temperature_c >= 130 or (found.temperature_c >= 90 and _HOURS.search(timed[0]))):  # type: ignore[index]
        return found  # "110°C 1 hr 30": meringues dry
    worded = _WORDED.search(text)
    return Oven(float(dict(_IN_WORDS)[(worded[1] or worded[2]).lower()]), False) if worded else None


_HOURS = re.compile(r"\d\s*(?:½\s*)?h", re.I)
# "180 Grad", "180 gradi": degrees in other tongues
_DEGREES_ABROAD = re.compile(r"\b([12]\d\d)\s*(?:grad|graus|grader|graden|gradi|grados|degrés|stopni|astetta)\b", re.I)
# "fan160 25 min"
_GLUED_FAN = re.compile(r"\bfan(1[1-9]\d|2[0-4]\d)\b(?!\s*/)", re.I)
# A fan's heat in other tongues
_FAN_ABROAD = re.compile(
    r"\b(?:umluft|hei(?:ß|ss)luft|chaleur tournante|ventilat[oa]|varmluft|hetelucht|ventilador|termoobieg)\b", re.I
)
# "180C. Whisk the eggs": how hot the oven is to be, before all else.
_HEAT_FIRST = re.compile(r"\W*(\d{3})\s*(?:°|º)?\s*([CF])\b\s*(?:\(?(fan)\)?)?\s*[.;\n]", re.I)
# A sentence that is nothing but a heat and a time, ten minutes or more: "350 for 1 hr.", "175C, 30 min or so".
TIMED = re.compile(
    r"(?:^|[.;!?\n]|\s(?:[-–—•·|/]|//)\s|,(?=\s*(?:3[0-9][05]|4[0-5][05])\s*,\s*\d{2}\s*m))\s*(?:at\s+)?(?:\d{1,2}\s*(?:x|×|by)\s*\d{1,2}(?:\s*(?:inch|in|cm))?(?:\s*(?:pan|tin|dish|loaf))?\s*,\s*|(?:\d\s*[x×]\s*)?\d{1,2}\s*-?\s*(?:cm|inch|in)\s+(?:[a-z]+\s+)?(?:pans?|tins?|dish|springform),\s*|(?:(?:\d|one|two|three|four)\s+)?\d{1,2}\s*-?\s*(?:cm|inch|in|\"|″)\s+(?:round\s+)?(?:layers?|tins?|pans?)\s+(?=\d{3}\s+\d{2})|(?:(?:\d\s*-?\s*lb|greased|lined|square|round|an?)\s+){0,3}(?:loaf|bundt|tube|muffin|cake|tart|pie|roasting)\s+(?:pans?|tins?),?\s+)?(\d{3})\s*(?:°|º|degrees\b|deg\b\.?)?\s*([CF]\b)?\s*(fan\s*)?"
    r"(?:/\s*(?:fan\s*\d{3}|\d{3}\s*(?:°|º)?\s*C?\s*fan)\s*)?(?:\(\s*(?:not?\s+fan|fan\s*:?\s*\d{3}\s*(?:°\s*)?C?|\d{3}\s*(?:°\s*)?C?\s*fan)!?\s*\)\s*)?(?:,|/|[-–]|\.{3}|…|for\b|(?<=[°º])|(?<=degrees)|(?<=fan\s)|(?<=deg\s)|(?<=deg\.\s)|(?<=\)\s)|(?=\s\d{1,2}(?:\s*[-–]\s*\d{1,2})?\s*min)|(?=\s\d\s*(?:h\b|hr|hour)))\s*(?:(?:in an?\s+)?\d{1,2}\s*(?:x|×|by)\s*\d{1,2}(?:\s*(?:inch|in|cm))?(?:\s*(?:pan|tin|dish))?\s*,\s*)?"
    r"(?:about |around |approx\.? )?(?:\d(?:[.,]\d)?\s*h|an?\s+(?:hr|hour)\b|\d\s*(?:-|–|to)\s*\d{2}\s*m|\d{2,3}\s*(?:ish\s*)?(?:(?:-|–|to)\s*\d+\s*)?m|\d{2}\s*(?:-|–)\s*\d{2}\s*(?:[.,;\n]|$))",
    re.I,
)
# "In it goes at 180 for 45 min"
_GOES_IN = re.compile(
    r"\b(?:in it goes|goes in|pop (?:it )?in|cook(?:ed)?|give it)\b[^.;\n]{0,20}?\bat\s+(\d{3})\s*(?:°|º|degrees\b)?\s*([CF]\b)?\s*(fan\s*)?,?\s*for\s+(?:about\s+)?(?:\d|an?\s+hour|half)",
    re.I,
)
# "25 mins at 180, wobbly", "12 min @ 175": how long, and then how hot.
SO_LONG_AT = r"(?:\d[\d½¼¾.,]*(?:\s*(?:-|–|to)\s*\d+)?\s*(?:min|hour|hr|h\b)[a-z]*\.?|(?:half\s+)?an\s+hour(?:\s+and\s+a\s+(?:half|quarter))?|three quarters of an hour)\s*(?:(?:more|longer)\s+)?(?:@|at)\s*"
_MINUTES_AT = re.compile(
    rf"\b{SO_LONG_AT}(1[2-9]\d|2[0-4]\d|3[0-9][05]|4[0-5][05])\s*(?:°|º|degrees\b)?\s*(C\b)?\s*(fan\b)?", re.I
)
# "brownie tin, 180 for 25ish", "pour over the custard, 160 for 30 mins"
FOR_SO_LONG = re.compile(
    r",\s*(1[2-9]\d|2[0-4]\d|3[0-9]{2}|4[0-7][05])\s*(?:°|º|degrees\b|deg\b\.?)?\s*([CF]\b)?\s*(fan\s*)?(?:,\s*(?=\d{2}\s*[-–]\s*\d{2}\s*min)|for\s+|(?=\d{2}(?:\s*[-–]\s*\d{2})?\s*min))(?:about\s+)?(?:an?\s+hour|\d[\d½¼¾.]*\s*(?:hours?|hrs?)|\d{2}\s*(?:-?ish\b|(?:(?:-|–|to)\s*\d{2}\s*)?min)|\d{2}(?:\s*(?:-|–)\s*\d{2})?(?=\W*(?:$|\n)|[.;]\s+[A-Z])|\d{2}\s*,?\s*then\b)",
    re.I,
)
# "12 muffin cups, 200 degrees 18 min"
_DEGREES_THEN_TIME = re.compile(
    r"\b(1[3-9]\d|2[0-4]\d|3[0-9][05]|4[0-5][05])\s*(?:°|º|degrees\b|deg\b\.?)\s*([CF]\b)?\s*(fan\b)?[\s,/x×–-]*(?:(?:for|i|in|ca\.?|cirka|om|per)\s+)?\d{1,3}(?:\s*(?:-|–|to)\s*\d{1,3})?\s*(?:m\b|min|h\b|hr|hour|['’′])",
    re.I,
)
# "400 degrees.", "175° mitten av ugnen": a heat and nothing more, or the oven in another tongue.
_HEAT_ALONE = re.compile(
    r"(?:^|[.;!?\n])\W{0,6}(\d{3})\s*(?:°|º|degrees\b|deg\b\.?)\s*([CF]\b)?\s*(fan\s*)?(?=\s*(?:[.;!\n]|$)|[^.;\n]{0,20}\b(?:ugn\w*|ofen|four|forno|horno)\b)",
    re.I,
)
# "150 then down to 120 straight away"
_THEN_LOWER = re.compile(
    r"(?:^|[.;,\n])\s*(1[3-9]\d|2[0-4]\d|3[0-9][05]|4[0-5][05])\s*(?:°|º|degrees\b)?\s*([CF]\b)?\s*(fan\s*)?,?\s*(?:then|and|but)\s+(?:turn(?:ed)?\s+|straight\s+)?down\s+(?:to\s+)?\d{2,3}\b",
    re.I,
)
# "Sätt ugnen på 175": the oven in another tongue.
_ABROAD = re.compile(
    r"\bgrädda\w*\b[^.;\n\d]{0,16}(\d{3})\s*(?:°|º|grad\w*)\s*(C\b)?|\b(?:ugn\w*|(?:back)?ofen\w*|four\s+à|four(?=\s*:?\s*1[5-9]0\b)|forno|horno)\b[^.;\n\d]{0,24}(\d{3})\s*(?:°|º|grad\w*)?\s*(C\b)?",
    re.I,
)
# "180 / 4 for 30 min": the gas mark beside it
_GAS_BESIDE = re.compile(
    r"(?:^|[.;,!?\n])\s*(1[2-9]0|2[0-4]0)\s*(?:°|º)?\s*(C\b)?\s*/\s*(?:mark\s*)?[1-9]\s*(?:,|for|\s)\s*(?:about\s+)?\d{1,2}\s*(?:(?:-|–|to)\s*\d{1,2}\s*)?m",
    re.I,
)
# "20-25 Min. bei 180 degrees": how long before how hot, in another tongue
_MINUTES_FIRST = re.compile(
    r"\b\d{1,3}\s*(?:(?:-|–|bis|à|a)\s*\d{1,3}\s*)?(?:min\w*|std|stunden?|heures?|h)\.?\s+(?:bei|à|a|på|ved|op|w)\s+(?:ca\.?\s+)?(1[2-9]\d|2[0-4]\d)\s*(?:°|º|degrees\b)\s*(C\b)?",
    re.I,
)
# "Into a lined tin, 180 (160 fan) for 50 min"
_FAN_BESIDE = re.compile(
    r"\b(1[2-9]\d|2[0-4]\d)\s*(?:°|º)?\s*(C\b)?\s*[(/]\s*(?:fan\s+)?\d{3}\s*(?:°|º)?\s*C?\s*fan\b", re.I
)
# A step that begins with a bare heat and tells minutes further on: "325. Whip the whites ... 25-30 min till golden."
_BEGUN = re.compile(
    r"^\s*(?:\d\s*[.)]\s*)?(\d{3})\s*(?:°|º)?\s*([CF]\b)?\s*[.:;,](?=\s).{0,300}?\b\d{1,2}\s*(?:min|m\b)", re.I | re.M
)
# A sentence that heats an oven, and one whose temperature is that of a pan, a syrup, a custard, of oil or of the thing itself.
SENTENCES = re.compile(
    r"(?<=[.;!?])(?<!min\.)(?<!mins\.)(?<!hr\.)(?<!hrs\.)(?<!approx\.)(?<!deg\.)\s+(?=\D)|(?<=[a-z]{4}\.)(?<!mins\.)\s+(?=\d)|\s[✦✧✶★•●·]\s|\n"
)
_OVEN_WORDS = re.compile(
    r"\boven\b|^\W*fan\s+\d{3}\b|\b(?:reduce|lower|increase|raise)\w*\s+(?:the\s+)?(?:oven\s+)?(?:temperature|heat)\s+to\b|\bpre-?heat|\bbak(?:es?|ed|ing)\b|\b(?:backen|backofen|umluft|unterhitze|forno|four|horno|ugn\w*|hornear|hornea|horneamos|cuocere|cuocete|infornare|infornate|enfourner|enfournez|grädda|gräddas|bages|bag(?=\s+(?:i|ved|på)\b)|ovn\w*|stekes?|bakken|assar|asse|piec|piecz)\b|\broast|\btemp(?:erature)?\s?[:=]|\b(?:gas(?:\s*mark)?|reg(?:ulo|\.)|gm)\s*[\d¼½]|\bmark\s*[1-9]\s*(?:[,.;:)]|for\b)|\bshelf\b",
    re.I,
)
NO_OVEN = re.compile(
    r"thermometer|\bcook(?:ed)?\s+(?:it\s+)?(?:to|until it reaches)\s+\d|soft[- ]ball|hard[- ]ball|soft[- ]crack|hard[- ]crack|\bsyrup\b|\bcaramel|\bcustard\b|\bfry|\boil\b|\bsimmer|\bboil|\bpan\b|\bgriddle\b|\binternal\b|"
    r"\bmiele\b|\bzucchero\b|\bsirop\b|(?:^|[.;]\s*)honey\s+(?:to|at)\b|\bcore\b|\bcentre\b|\bcenter\b|\bregisters?\b|\breaches\b|\btemper(?:ed|ing)?\b|\bmilk\b|\bcream\b|\bfridge\b|\bfreezer\b|\blukewarm\b",
    re.I,
)


_HEAT = re.compile(r"\b[1-5]\d\d(?!\d)")


def _of_the_heat(text: str) -> str:
    """Return the sentence that holds the first number of three digits, as an oven's heat is: "Boil the dates. Then 170 °C"."""
    part = next((part for part in re.split(r"(?<=[a-z]{5})\.\s", text) if _HEAT.search(part)), text)
    heat = _HEAT.search(part)
    # "180C about 40 min. Boil the syrup": what is boiled is another thing.
    over = re.compile(r"\bmins?\.\s+(?=[A-Z])").search(part, heat.end()) if heat else None
    return part[: over.start()] if over else part


def _before_the_heat(text: str) -> str:
    """Return what a sentence says before its heat."""
    said = _of_the_heat(text)
    found = _HEAT.search(said)
    return said[: found.start()] if found else said


def _said_before(text: str) -> str:
    """Return what stands before a heat and may say whose it is: behind the last "bake", where a pan is a tin ("Bake in a tube pan at 350")."""
    *baked, last = re.split(r"\bbak(?:e|ing)\b", text, flags=re.I)
    return re.sub(r"\bpans?\b", "tin", last, flags=re.I) if baked else last


def _setting(text: str, *, is_oven: bool) -> Oven | None:
    """Return the setting that one sentence tells, unless it is the temperature of something else."""
    plain, fan = _celsius(text)
    if plain is None and fan is None:
        plain, fan = _fahrenheit(text)
    if plain is None and fan is None and is_oven:
        plain, fan = _gas_or_bare(text)
    if plain is None and fan is None and not is_oven and (behind := _FAN_BEHIND.search(text)):
        plain_behind = _PLAIN_BEHIND.match(text, behind.end())
        return Oven(float(plain_behind[1]), False) if plain_behind else Oven(float(behind[1]), True)
    if plain is None and fan is None:
        return None
    is_other = NO_OVEN.search(_of_the_heat(text)) and not _IN_ITS_CLAUSE.search(text)
    if not is_oven and (is_other or not 120 <= (plain or fan or 0) <= 260):
        return None
    if (
        is_oven
        and not re.search(r"\boven\b|pre-?heat|\bgas|\bmark\s*\d", text, re.I)
        and NO_OVEN.search(_said_before(_before_the_heat(text)))
    ):
        return None
    return Oven(plain, False) if plain is not None else Oven(fan or 0.0, True)


# "fold in the milk, loaf tin, 325F an hour ish": a heat and its time between commas.
_IN_ITS_CLAUSE = re.compile(r",\s*\d{3}\s*(?:°|º)?\s*[CF]\b[^,.;]{0,24}\b(?:min\w*|hours?|hrs?)\b", re.I)


def _celsius(text: str) -> tuple[float | None, float | None]:
    """Return the first plain and the first fan setting in °C."""
    found: dict[bool, float] = {}
    for match in _CELSIUS.finditer(text):
        value = float(match[1])
        if lower := _LOWER.search(text, 0, match.start()):
            value = float(lower[1])  # "175-200 °C": the lower of two
        if 70 <= value <= HOTTEST_C:
            before, after = text[max(0, match.start() - 14) : match.start()], text[match.end() : match.end() + 28]
            is_fan = bool(_FAN_AFTER.match(after) or _FAN.search(before.split("/")[-1].split("(")[-1]))
            found.setdefault(is_fan, value)
    if False not in found and (named := _PLAIN_NAMED.search(text)):
        found[False] = float(named[1])
    return found.get(False), found.get(True)


def _fahrenheit(text: str) -> tuple[float | None, float | None]:
    """Return the first plain and the first fan setting in °F, as °C."""
    found: dict[bool, float] = {}
    for match in _FAHRENHEIT.finditer(text):
        if 170 <= float(match[1]) <= HOTTEST_F:
            before, after = text[max(0, match.start() - 14) : match.start()], text[match.end() : match.end() + 28]
            is_fan = bool(_FAN_AFTER.match(after) or _FAN.search(before.split("/")[-1].split("(")[-1]))
            found.setdefault(is_fan, _from_fahrenheit(float(match[1])))
    return found.get(False), found.get(True)


def _gas_or_bare(text: str) -> tuple[float | None, float | None]:
    """Return a gas mark, or a bare number beside the oven, in °C: plain or fan."""
    if (gas := _GAS.search(text)) and (mark := gas[1] or gas[2]) in GAS_MARK_C:
        return float(GAS_MARK_C[mark]), None
    if fan := _FAN_FIRST.search(text):
        return None, float(fan[1])  # "Fan 160."
    if bare := _BARE.search(text) or _BARE_BEFORE.search(text) or _DEGREES.search(text):
        degrees = float(bare[1])
        if degrees > HOTTEST_F:
            return None, None  # no oven's heat by any dial
        value = _from_fahrenheit(degrees) if degrees >= 275 else degrees if degrees >= 100 else None
        return (None, value) if _BARE_FAN.match(text, bare.end(1)) else (value, None)
    return None, None


# No oven at home is hotter [°F], [°C] (common practice).
HOTTEST_F, HOTTEST_C = 550, 300
_NO_OVENS_HEAT = re.compile(
    r"\b(?:oven|preheat\w*|bakes?)\b[^.;\n]{0,40}?\b(\d{3,5})(?!\d|[.,]\d|\s*(?:g|gr|grams|ml|kg|kcal)\b)\s*(?:°|º|deg(?:rees)?\b\.?)?\s*(?:([CF])\b)?",
    re.I,
)


def no_ovens_heat(text: str) -> str:
    """Return the heat that a text sets an oven to where no oven reaches it, or nothing.

    Examples
    --------
    >>> no_ovens_heat("Bake at 900C for 30 minutes.")
    '900 °C'
    """
    for match in _NO_OVENS_HEAT.finditer(text):
        unit = (match[2] or "").upper()
        if int(match[1]) > (HOTTEST_C if unit == "C" else HOTTEST_F):
            return f"{match[1]} °{unit}"
    return ""


def _from_fahrenheit(degrees: float) -> float:
    return float(round((degrees - 32) / 1.8))
