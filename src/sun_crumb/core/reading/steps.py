"""What the method part says: oven, baking time, tin."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator

from sun_crumb.core.quantities.numbers import read_quantity
from sun_crumb.core.reading.durations import durations
from sun_crumb.core.reading.marks import heading_kind
from sun_crumb.core.reading.records import Method, Oven, Reading, Step, StepTime, Tin

_CELSIUS = re.compile(r"(\d{2,3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(?:C\b|celsius|centigrade)", re.I)
_FAHRENHEIT = re.compile(r"(\d{3})\s*(?:°|º|deg(?:rees)?\.?)?\s*(?:F\b|fahrenheit)", re.I)
_BARE = re.compile(
    r"\b(?:oven|preheat|bakes?)\b[^\n]{0,40}?\b(\d{3})(?!\s*(?:g|gr|grams|ml|kg|kcal)\b)\s*(?:°|º|degrees)?", re.I
)
_BARE_BEFORE = re.compile(r"\b(\d{3})\s*(?:°|º|degrees?)?\s*oven\b", re.I)
_DEGREES = re.compile(r"\b(\d{3})\s*(?:°|º|degrees)(?!\s*[CF]\b)", re.I)
_FAN_FIRST = re.compile(r"^\W*fan(?:\s+oven)?\s*:?\s*(1[1-9]\d|2[0-4]\d)\b", re.I)
_FAN_BEHIND = re.compile(
    r"(?<![\d.,/(])(?<!\d{3} [/(])(?<!/ )(1[1-9]\d|2[0-4]\d)\s*(?:°|º)?\s*fan\b(?!\s*:?\s*\d)", re.I
)  # "loaf tin, 170 fan, 45 min"
_BARE_FAN = re.compile(r"\s*(?:°|º|degrees)?\s*\(?\s*(?:fan|convection)\b(?!\s*:?\s*\d)", re.I)
_GAS = re.compile(
    r"\b(?:gas(?:\s*mark)?|regulo|gm)\s*(\d{1,2}|¼|½)|\bmark\s*([1-9]|¼|½)(?=\s*(?:[,.;:)]|for\b|$))", re.I
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
_WORDED = re.compile(rf"\b({'|'.join(words for words, _ in _IN_WORDS)})\s+oven\b", re.I)
_FAN = re.compile(r"\b(?:fan|convection|fan[- ]forced)\b", re.I)
_FAN_AFTER = re.compile(r"^\s*\(?\s*(?:fan|convection)(?!\s*(?:oven)?\s*:?\s*\d)", re.I)
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


def read_step(text: str, part: str = "") -> Step:
    """Return one step of a method with the times that it names; *part* is what the heading above it names.

    Examples
    --------
    >>> read_step("Bake for 40 minutes.").times
    (StepTime(doing='bake', low=40, high=40),)
    """
    return Step(text, read_times(text), part)


def method_of(reading: Reading) -> Method:
    """Return what a reading says of the method: steps with their times [min], oven [°C], tin [cm].

    Parameters
    ----------
    reading
        A text as read.
    """
    return Method(tuple(_steps(reading)), reading.oven, reading.bake_minutes, reading.tin)


def _steps(reading: Reading) -> Iterator[Step]:
    part = ""
    if not any(line.role == "step" for line in reading.lines):
        # "Makes 12. Rise 1 hr, fill, cut. Bake 375 for 20 min": the method behind the portions.
        told = (line.text for line in reading.lines if line.role in ("portions", "note", "chatter", "time"))
        yield from (read_step(text) for text in told if len(re.findall(rf"\b(?:{_DONE})\b", text, re.I)) > 1)
        return
    # What only the method names stands behind its last step.
    last_step = max(n for n, line in enumerate(reading.lines) if line.role == "step")
    foods = [(n, line.line) for n, line in enumerate(reading.lines[:last_step]) if line.role == "food"]
    last_listed, listed = max((n for n, _ in foods), default=-1), {number for _, number in foods}
    for n, line in enumerate(reading.lines):
        if line.role == "heading":
            part = "" if heading_kind(line.text) else line.text.strip(" *#_=:–—-")[:80]
        elif line.role == "step":
            # Between the lists of two parts a step is of the one above it, and in the line of a list of that.
            is_of_the_part = n < last_listed or line.line in listed
            yield read_step(line.text, part or (line.component if is_of_the_part else ""))
        elif line.role == "food":
            part = ""


def read_oven(text: str) -> Oven | None:
    """Return the oven setting of a method text, or None where none is named.

    The plain setting is preferred to the fan one when both are given; gas marks and °F are turned into °C.

    Examples
    --------
    >>> read_oven("Heat the oven to 350 °F.")
    Oven(temperature_c=177.0, is_fan=False)
    """
    for is_oven in (True, False):
        for sentence in _SENTENCES.split(text):
            if bool(_OVEN_WORDS.search(sentence)) == is_oven and (found := _setting(sentence, is_oven=is_oven)):
                return found
    timed = (
        _TIMED.search(text)
        or _BEGUN.search(text)
        or _GOES_IN.search(text)
        or _FAN_BESIDE.search(text)
        or _MINUTES_AT.search(text)
        or _ISH.search(text)
        or _HEAT_ALONE.search(text)
    )
    found = _setting(f"oven {timed[1]} {' '.join(filter(None, timed.groups()[1:]))}", is_oven=True) if timed else None
    if found and found.temperature_c >= 130:
        return found
    worded = _WORDED.search(text)
    return Oven(float(dict(_IN_WORDS)[worded[1].lower()]), False) if worded else None


# A sentence that is nothing but a heat and a time, ten minutes or more: "350 for 1 hr.", "175C, 30 min or so".
_TIMED = re.compile(
    r"(?:^|[.;!?\n]|,(?=\s*(?:3[0-9][05]|4[0-5][05])\s*,\s*\d{2}\s*m))\s*(?:\d{1,2}\s*(?:x|×|by)\s*\d{1,2}(?:\s*(?:inch|in|cm))?(?:\s*(?:pan|tin|dish))?\s*,\s*|\d{1,2}\s*-?\s*(?:cm|inch|in)\s+(?:[a-z]+\s+)?(?:pan|tin|dish|springform),\s*)?(\d{3})\s*(?:°|º|degrees\b|deg\b\.?)?\s*([CF]\b)?\s*(fan\s*)?"
    r"(?:/\s*\d{3}\s*(?:°|º)?\s*C?\s*fan\s*)?(?:\(\s*(?:not?\s+fan|\d{3}\s*(?:°\s*)?C?\s*fan)!?\s*\)\s*)?(?:,|/|[-–]|for\b|(?<=[°º])|(?<=degrees)|(?<=fan\s)|(?<=deg\s)|(?<=deg\.\s)|(?<=\)\s)|(?=\s\d{1,2}(?:\s*[-–]\s*\d{1,2})?\s*min))\s*(?:(?:in an?\s+)?\d{1,2}\s*(?:x|×|by)\s*\d{1,2}(?:\s*(?:inch|in|cm))?(?:\s*(?:pan|tin|dish))?\s*,\s*)?"
    r"(?:about |around |approx\.? )?(?:\d\s*h|an?\s+(?:hr|hour)\b|\d\s*(?:-|–|to)\s*\d{2}\s*m|\d{2,3}\s*(?:ish\s*)?(?:(?:-|–|to)\s*\d+\s*)?m|\d{2}\s*(?:-|–)\s*\d{2}\s*(?:[.,;]|$))",
    re.I,
)
# "In it goes at 180 for 45 min"
_GOES_IN = re.compile(
    r"\b(?:in it goes|goes in|pop (?:it )?in|cook(?:ed)?|give it)\b[^.;\n]{0,20}?\bat\s+(\d{3})\s*(?:°|º|degrees\b)?\s*([CF]\b)?\s*(fan\s*)?,?\s*for\s+(?:about\s+)?(?:\d|an?\s+hour|half)",
    re.I,
)
# "25 mins at 180, wobbly", "12 min @ 175": how long, and then how hot.
_SO_LONG_AT = r"\d[\d½¼¾.,]*(?:\s*(?:-|–|to)\s*\d+)?\s*(?:min|hour|hr|h\b)[a-z]*\.?\s*(?:@|at)\s*"
_MINUTES_AT = re.compile(rf"\b{_SO_LONG_AT}(1[2-9]\d|2[0-4]\d)\s*(?:°|º|degrees\b)?\s*(C\b)?\s*(fan\b)?", re.I)
# "brownie tin, 180 for 25ish"
_ISH = re.compile(r",\s*(1[2-9]\d|2[0-4]\d|3[0-9]{2})\s*([CF]\b)?\s*(fan\s*)?for\s+(?:about\s+)?\d{2}\s*-?ish\b", re.I)
# "400 degrees.", "175° mitten av ugnen": a heat and nothing more, or the oven in another tongue.
_HEAT_ALONE = re.compile(
    r"(?:^|[.;!?\n])\W{0,6}(\d{3})\s*(?:°|º|degrees\b|deg\b\.?)\s*([CF]\b)?\s*(fan\s*)?(?=\s*(?:[.;!\n]|$)|[^.;\n]{0,20}\b(?:ugn\w*|ofen|four|forno|horno)\b)",
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
_SENTENCES = re.compile(
    r"(?<=[.;!?])(?<!min\.)(?<!mins\.)(?<!hr\.)(?<!hrs\.)(?<!approx\.)(?<!deg\.)\s+(?=\D)|(?<=[a-z]{4}\.)(?<!mins\.)\s+(?=\d)|\s[✦✧✶★•●·]\s|\n"
)
_OVEN_WORDS = re.compile(
    r"\boven\b|^\W*fan\s+\d{3}\b|\b(?:reduce|lower|increase|raise)\w*\s+(?:the\s+)?(?:oven\s+)?(?:temperature|heat)\s+to\b|\bpre-?heat|\bbak(?:es?|ed|ing)\b|\broast|\b(?:gas(?:\s*mark)?|gm)\s*[\d¼½]|\bmark\s*[1-9]\s*[,.;:)]|\bshelf\b",
    re.I,
)
_NO_OVEN = re.compile(
    r"thermometer|\bcook(?:ed)?\s+(?:it\s+)?(?:to|until it reaches)\s+\d|soft[- ]ball|hard[- ]ball|soft[- ]crack|hard[- ]crack|\bsyrup\b|\bcaramel|\bcustard\b|\bfry|\boil\b|\bsimmer|\bboil|\bpan\b|\binternal\b|"
    r"\bcore\b|\bcentre\b|\bcenter\b|\bregisters?\b|\breaches\b|\btemper(?:ed|ing)?\b|\bmilk\b|\bcream\b|\bfridge\b|\bfreezer\b|\blukewarm\b",
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


def _setting(text: str, *, is_oven: bool) -> Oven | None:
    """Return the setting that one sentence tells, unless it is the temperature of something else."""
    plain, fan = _celsius(text)
    if plain is None and fan is None:
        plain, fan = _fahrenheit(text)
    if plain is None and fan is None and is_oven:
        plain, fan = _gas_or_bare(text)
    if plain is None and fan is None and not is_oven and (behind := _FAN_BEHIND.search(text)):
        return Oven(float(behind[1]), True)
    if plain is None and fan is None:
        return None
    if not is_oven and (_NO_OVEN.search(_of_the_heat(text)) or not 120 <= (plain or fan or 0) <= 260):
        return None
    if (
        is_oven
        and not re.search(r"\boven\b|pre-?heat|\bgas|\bmark\s*\d", text, re.I)
        and _NO_OVEN.search(re.split(r"\bbak(?:e|ing)\b", _before_the_heat(text), flags=re.I)[-1])
    ):
        return None
    return Oven(plain, False) if plain is not None else Oven(fan or 0.0, True)


def _celsius(text: str) -> tuple[float | None, float | None]:
    """Return the first plain and the first fan setting in °C."""
    found: dict[bool, float] = {}
    for match in _CELSIUS.finditer(text):
        value = float(match[1])
        if 70 <= value <= 300:
            before, after = text[max(0, match.start() - 14) : match.start()], text[match.end() : match.end() + 14]
            is_fan = bool(_FAN_AFTER.match(after) or _FAN.search(before.split("/")[-1].split("(")[-1]))
            found.setdefault(is_fan, value)
    if False not in found and (named := _PLAIN_NAMED.search(text)):
        found[False] = float(named[1])
    return found.get(False), found.get(True)


def _fahrenheit(text: str) -> tuple[float | None, float | None]:
    """Return the first setting in °F as plain or fan [°C]."""
    for match in _FAHRENHEIT.finditer(text):
        if 170 <= float(match[1]) <= 550:
            value = _from_fahrenheit(float(match[1]))
            before, after = text[max(0, match.start() - 14) : match.start()], text[match.end() : match.end() + 14]
            is_fan = _FAN_AFTER.match(after) or _FAN.search(before.split("/")[-1].split("(")[-1])
            return (None, value) if is_fan else (value, None)
    return None, None


def _gas_or_bare(text: str) -> tuple[float | None, float | None]:
    """Return a gas mark, or a bare number beside the oven, in °C: plain or fan."""
    if (gas := _GAS.search(text)) and (mark := gas[1] or gas[2]) in GAS_MARK_C:
        return float(GAS_MARK_C[mark]), None
    if fan := _FAN_FIRST.search(text):
        return None, float(fan[1])  # "Fan 160."
    if bare := _BARE.search(text) or _BARE_BEFORE.search(text) or _DEGREES.search(text):
        degrees = float(bare[1])
        value = _from_fahrenheit(degrees) if degrees >= 275 else degrees if degrees >= 100 else None
        return (None, value) if _BARE_FAN.match(text, bare.end(1)) else (value, None)
    return None, None


def _from_fahrenheit(degrees: float) -> float:
    return float(round((degrees - 32) / 1.8))


# Sentences; a shortened word's full stop ends none.
_TOLD_IN_TURN = re.compile(r"(?<=[.;])(?<!approx\.)(?<!abt\.)(?<!ca\.)(?<!deg\.)\s|\n")


def read_bake_minutes(text: str) -> tuple[int, int] | None:
    """Return the baking time [min] as a range, or None: the first time named in a sentence that bakes, and for baking.

    Examples
    --------
    >>> read_bake_minutes("Rest the batter for 10 minutes, bake for 40-45 minutes.")
    (40, 45)
    """
    told: list[tuple[str, int, int]] = []
    turned: set[int] = set()
    for sentence in _TOLD_IN_TURN.split(text):
        if re.search(r"\bbak(?:e|ing)\b|\bin the oven\b", sentence, re.I) and (times := read_times(sentence)):
            # "leave for 30 minutes, then bake at 150C for 14 minutes"
            begins = re.search(r"\bbak(?:e|ing)\b", sentence, re.I)
            behind = read_times(sentence[begins.start() :]) if begins else []
            baked = [time for time in times if time.doing == "bake"] or behind[:1] or times[:1]
            if len(baked) > 1 and _IN_TURN.search(sentence):
                # "Bake 5 minutes at 425, then reduce to 350 and bake 15-18 minutes more"
                baked = [StepTime("bake", sum(time.low for time in baked), sum(time.high for time in baked))]
            told.append((sentence, baked[0].low, baked[0].high))
        if told and _TURNED_ON.search(sentence):
            turned.add(len(told) - (1 if told[-1][0] == sentence else 0))
    if not told:
        return _bake_beside_the_heat(text)
    # A case baked blind waits for what is baked in it.
    first = next((n for n, (sentence, _, _) in enumerate(told) if not _BLIND.search(sentence)), 0)
    _, low, high = told[first]
    goes_on = first + 1 < len(told) and (
        first + 1 in turned or re.match(r"\W*bake (?:for )?(?:another|a further)\b", told[first + 1][0], re.I)
    )
    if goes_on:
        return low + told[first + 1][1], high + told[first + 1][2]
    return low, high


# "Reduce temperature to 350 F; bake 40 minutes": the same bake still.
_TURNED_ON = re.compile(
    r"\b(?:reduce|lower|turn)\w*\b[^.;]{0,30}\b(?:temperature|heat|oven|down)\b[^.;]{0,12}\d{3}", re.I
)
_BLIND = re.compile(r"\bblind\b|\bbeans\b|\bweights\b", re.I)
_IN_TURN = re.compile(r"\b(?:more|further|longer|another|reduce|lower|turn\b.{0,20}\bdown)\b", re.I)


def _bake_beside_the_heat(text: str) -> tuple[int, int] | None:
    """Return the time that stands beside an oven's heat, or alone in a sentence behind it, where nothing says "bake"."""
    is_heated = False
    for sentence in _SHORT_SENTENCES.split(text):
        if (at_heat := _TIME_AT_HEAT.search(sentence)) and (times := read_times(at_heat["time"])):
            return times[0].low, times[0].high
        heat = _OVEN_HEAT.search(sentence)
        if _TURNED_DOWN.search(sentence):
            return None  # two heats in turn: neither time is the whole
        if (timed := _TIMED.search(sentence)) and (times := read_times(sentence[timed.end(1) :])):
            return times[0].low, times[0].high  # "170 for an hr"
        if heat is None and not (is_heated and _TIME_ALONE.fullmatch(sentence.strip())):
            continue
        if heat is None or not _NO_OVEN.search(sentence[: heat.start()]):
            is_heated = True
            times = read_times(sentence[heat.end() if heat else 0 :])
            found = next((t for t in times if t.doing not in ("chill", "freeze", "cool", "rest", "soak", "beat")), None)
            if found:
                return found.low, found.high
    return None


_TIME_AT_HEAT = re.compile(
    rf"(?P<time>{_SO_LONG_AT})(?:1[4-9]\d|2[0-4]\d|3\d\d|4[0-5]\d)(?!\d|\s*(?:g|ml|w)\b)",
    re.I,
)
_OVEN_HEAT = re.compile(
    r"\b(?:1[4-9]\d|2[0-4]\d|[34][0-9]\d)\s*(?:°|º|degrees\b|deg\b\.?|['’]?\s*[CF]\b)|\b(?:gas(?:\s*mark)?)\s*[1-9]\b|\b(?:1[4-9]\d|2[0-4]\d)\s*(?:[(/]\s*\d{3}\s*)?fan\b|\boven\b[^.\n\d]{0,20}\b(?:1[4-9]\d|2[0-4]\d|[34]\d\d)\b",
    re.I,
)
_SHORT_SENTENCES = re.compile(rf"{_SENTENCES.pattern}|(?<=[a-z)]\.)\s+(?=\d{{2,3}}\b)")
_TURNED_DOWN = re.compile(r"\b(?:turn|turned|turning|reduce|lower|drop)\w*\b.{0,24}\b(?:down|to)\b", re.I)
_TIME_ALONE = re.compile(
    r"(?:[^.;\d]{0,12}\d?[^.;\d]{0,24}\b(?:tin|pan|dish|tray)s?\b,?\s+)?(?:about |for )?[\d½¼¾]{1,3}(?:\s*(?:-|–|to)\s*[\d½¼¾]{1,3})?\s*(?:min(?:ute)?s?|hours?|hrs?)\.?(?:,?\s*(?:stirring|turning|rotating|until|till|til)\b.*|,\s*[a-z]+(?:\s+[a-z]+){0,2}|\s+[A-Z].*)?",
    re.I,
)


_DONE = "bake|mix|beat|stir|fold|chill|rise|whisk|pour|cool|roll|spread|melt|boil|simmer|freeze"
_INCH = 2.54
_DIMENSION = r"(\d{1,2}(?:[.,]\d)?(?:\s*(?:½|1/2))?)"
_LENGTH = r"\s*[- ]?\s*(cm|centimet(?:re|er)s?|mm|inch(?:es)?|in\b\.?|\"|″|”)"
_TIN_WORD = r"(?:tin|pan|dish|mould|mold|springform|ring|tray|tart|skillet|loaf|cake)"
_OBLONG = re.compile(
    rf"{_DIMENSION}(?:{_LENGTH})?\s*(?:x|×|by)\s*{_DIMENSION}{_LENGTH}(?=[^.\n]{{0,40}}\b{_TIN_WORD})", re.I
)
_ROUND = re.compile(
    rf"{_DIMENSION}{_LENGTH}(?![\s,]*(?:long|thick|wide|apart|deep|tall|high|logs?|ropes?|sausages?|rectangles?|circles?|dis[ck]s?)\b)(?P<rest>[^.\n]{{0,40}}?\b{_TIN_WORD})",
    re.I,
)
# "a 9x13 dish", "Pan: 8x8 in, lined", "baking sheet (30 x 40)"
_TIN_BARE = re.compile(
    rf"\b(?P<a>\d{{1,2}})\s*(?:x|×|by)\s*(?P<b>\d{{1,2}})(?:{_LENGTH})?\s*-?\s*(?:[a-z]+\s+){{0,2}}?(?:tins?|pans?|dish|baking dish|trays?|sheet)\b"
    rf"|\b(?:tin|pan|dish|tray|sheet)\s*[(:,]\s*(?P<a2>\d{{1,2}})\s*(?:x|×|by)\s*(?P<b2>\d{{1,2}})(?:{_LENGTH})?",
    re.I,
)
# Two sides told without a unit are inches up to this, as no tin is so few centimetres across.
MOST_INCHES = 18
# "Tin: 20 cm square"
_TIN_FIRST = re.compile(
    rf"\b(?:tin|pan|dish|mould|springform)\s*[:=*]+\s*{_DIMENSION}{_LENGTH}(?P<rest>[^.\n|·]{{0,12}})", re.I
)
_LOAF = re.compile(r"(\d+(?:[.,]\d)?)\s*-?\s*(kg|g|lb|pound)s?\s*-?\s*loaf\s*(?:tin|pan)", re.I)
_HOLES = re.compile(r"\b(6|8|9|12|24)[- ](?:hole|cup)\b[^.\n]{0,20}\b(?:muffin|tin|tray|pan)", re.I)
# What a step does with its time, by the words before it; the first that fits.
_DOING = (
    ("soak", r"soak|plump|steep"),
    ("chill", r"chill|refrigerat|fridge"),
    ("freeze", r"freez"),
    ("cool", r"\bcool\b|\bcooling\b|stand in the (?:tin|pan)|leave in the (?:tin|pan)"),
    ("rest", r"\brest\b|\bresting\b|let (?:it |the \w+ )?(?:stand|sit)|\bset aside\b|prove|proof|rise(?!n)"),
    ("simmer", r"simmer|boil|\bcook\b|stir"),
    ("bake", r"\bbak|oven|roast|toast"),
    ("beat", r"beat|whisk|cream|knead|mix|blend"),
)


# "2 x 20cm tins": so many of them.
_SO_MANY_TINS = re.compile(
    r"\b(?:[2-4]|two|three)\s*[x×]\s*(?=\d{2}\s*-?\s*(?:cm|inch|in\b|\")[^x×\n]{0,24}?\b(?:tins|pans|cake tins|sandwich tins|moulds)\b)",
    re.I,
)


def read_tin(text: str) -> Tin | None:
    """Return the tin that a method names, in cm, or None.

    Examples
    --------
    >>> read_tin("Line a 20 cm square tin.")
    Tin(shape='square', sizes_cm=(20.0,), text='20 cm square tin')
    """
    text = _SO_MANY_TINS.sub("", text)
    told: list[tuple[int, int, Tin]] = []
    for pattern, tin_of in _TINS:
        found = pattern.search(text)
        tin = tin_of(found) if found else None
        if found and tin and all(found.end() <= start or end <= found.start() for start, end, _ in told):
            told.append((*found.span(), tin))
    return min(told, key=lambda one: one[0])[2] if told else None


def _oblong(found: re.Match[str]) -> Tin | None:
    unit = found[4]
    first, second = _cm(found[1], found[2] or unit), _cm(found[3], unit)
    shape = "square" if abs(first - second) < 0.3 else "oblong"
    if min(first, second) < LEAST_SIDE_CM:
        return None  # "1 × 20 cm cake": one of 20 cm
    return Tin(shape, (first,) if shape == "square" else (first, second), found[0].strip())


# No tin is so narrow [cm].
LEAST_SIDE_CM = 4.0


def _bare_sizes(found: re.Match[str]) -> Tin:
    a, b = int(found["a"] or found["a2"]), int(found["b"] or found["b2"])
    unit = found[3] or found[6] or ("in" if max(a, b) <= MOST_INCHES else "cm")
    first, second = _cm(str(a), unit), _cm(str(b), unit)
    shape = "loaf" if "loaf" in found[0].lower() else "square" if a == b else "oblong"
    return Tin(shape, (first,) if a == b else (first, second), found[0].strip())


def _one_size(found: re.Match[str]) -> Tin | None:
    said = found[0].lower()
    shape = "square" if re.search(r"\bsq(?:uare|\b)", said) else "loaf" if "loaf" in said else "round"
    size = _cm(found[1], found[2])
    return Tin(shape, (size,), found[0].strip()) if 4 <= size <= 60 else None


# Ways to name a tin; of two that lie over each other the first tells more.
_TINS: tuple[tuple[re.Pattern[str], Callable[[re.Match[str]], Tin | None]], ...] = (
    (_OBLONG, _oblong),
    (_TIN_BARE, _bare_sizes),
    (_LOAF, lambda found: Tin("loaf", (), found[0].strip())),
    (_HOLES, lambda found: Tin("muffin", (), found[0].strip())),
    (_ROUND, _one_size),
    (_TIN_FIRST, _one_size),
)


def _cm(number: str, unit: str) -> float:
    span = read_quantity(number.strip(), words=False)
    value = span.low if span else 0.0
    if unit.lower().startswith("mm"):
        value /= 10
    elif not unit.lower().startswith(("c", "m")):
        value *= _INCH
    return round(value, 1)


def read_times(text: str) -> tuple[StepTime, ...]:
    """Return every time that a method names and what is done in it, in order [min].

    Examples
    --------
    >>> [(t.doing, t.low, t.high) for t in read_times("Rest for 10 minutes. Bake 35-40 minutes, chill for 1 hour.")]
    [('rest', 10, 10), ('bake', 35, 40), ('chill', 60, 60)]
    """
    found = []
    for sentence in _TOLD_IN_TURN.split(text):
        start = 0
        for span in durations(sentence):
            before = sentence[start : span.start]
            nearest = max(
                ((m.start(), name) for name, pattern in _DOING_RE for m in pattern.finditer(before)), default=(0, "")
            )[1]
            after = sentence[span.end : span.end + 25]
            # "325 °F for 1 hour": an oven's heat before a time that nothing else explains.
            idle = "bake" if _OVEN_HEAT.search(before) else ""
            left = "wait" if _LEAVES.search(before) else ""
            doing = (
                nearest or idle or left or next((name for name, pattern in _DOING_RE if pattern.search(after)), "wait")
            )
            found.append(StepTime(doing, span.low_min, span.high_min))
            start = span.end
    return tuple(found)


# "leave for 30 minutes to form a skin, then bake"
_LEAVES = re.compile(r"\bleave\b(?![^.;]*\boven\b)[^.;]{0,24}$", re.I)
_DOING_RE = tuple((name, re.compile(pattern, re.I)) for name, pattern in _DOING)
