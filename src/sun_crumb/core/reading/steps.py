"""What the method part says: its steps with their times, and how long it bakes."""

from __future__ import annotations

import re
from collections.abc import Iterator

from sun_crumb.core.reading.durations import durations
from sun_crumb.core.reading.headings import heading_kind
from sun_crumb.core.reading.oven_heat import FOR_SO_LONG, NO_OVEN, SENTENCES, SO_LONG_AT, TIMED
from sun_crumb.core.reading.records import Method, Reading, Step, StepTime


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


# Sentences; a shortened word's full stop ends none.
_TOLD_IN_TURN = re.compile(r"(?<=[.;])(?<!approx\.)(?<!abt\.)(?<!ca\.)(?<!deg\.)(?!\s+(?:more|longer)\b)\s|\n")


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
        if re.search(
            r"\bbak(?:e|ing)\b(?! soda| powder| paper| parchment| tin| tray| sheet| dish| beans)|\bin the oven\b|\b(?:grädda|backen|enfourne\w*|cuire au four|infornare|hornear)\b",
            sentence,
            re.I,
        ) and (times := read_times(sentence)):
            # "leave for 30 minutes, then bake at 150C for 14 minutes"
            begins = re.search(r"\bbak(?:e|ing)\b(?! soda| powder)", sentence, re.I)
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
    goes_on = first + 1 < len(told) and (first + 1 in turned or _BAKES_ON.match(told[first + 1][0]))
    if goes_on:
        return low + told[first + 1][1], high + told[first + 1][2]
    return low, high


# "Reduce temperature to 350 F; bake 40 minutes": the same bake still.
_TURNED_ON = re.compile(
    r"\b(?:reduce|lower|turn)\w*\b[^.;]{0,30}\b(?:temperature|heat|oven|down)\b[^.;]{0,12}\d{3}", re.I
)
_BAKES_ON = re.compile(
    r"\W*bake (?:for )?(?:(?:another|a further)\b|(?:about )?\d{1,2}(?:\s*[-–]\s*\d{1,2})? ?(?:mins?|minutes)\.? (?:more|longer)\b)",
    re.I,
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
        if (timed := TIMED.search(sentence)) and (times := read_times(sentence[timed.end(1) :])):
            return times[0].low, times[0].high  # "170 for an hr"
        if (timed or (timed := FOR_SO_LONG.search(sentence))) and (times := read_times(sentence[timed.start() :])):
            return times[0].low, times[0].high  # "180 for 35-40", "press in 9x13, 350 for 20 min"
        if heat is None and not (is_heated and _TIME_ALONE.fullmatch(sentence.strip())):
            continue
        if heat is None or not NO_OVEN.search(sentence[: heat.start()]):
            is_heated = True
            times = read_times(sentence[heat.end() if heat else 0 :])
            found = next((t for t in times if t.doing not in ("chill", "freeze", "cool", "rest", "soak", "beat")), None)
            if found:
                return found.low, found.high
    return None


_TIME_AT_HEAT = re.compile(
    rf"(?P<time>{SO_LONG_AT})(?:1[4-9]\d|2[0-4]\d|3\d\d|4[0-5]\d)(?!\d|\s*(?:g|ml|w)\b)",
    re.I,
)
_OVEN_HEAT = re.compile(
    r"\b(?:1[4-9]\d|2[0-4]\d|[34][0-9]\d)\s*(?:°|º|degrees\b|deg\b\.?|['’]?\s*[CF]\b)|\b(?:gas(?:\s*mark)?)\s*[1-9]\b|\b(?:1[4-9]\d|2[0-4]\d)\s*(?:[(/]\s*\d{3}\s*)?fan\b|\boven\b[^.\n\d]{0,20}\b(?:1[4-9]\d|2[0-4]\d|[34]\d\d)\b",
    re.I,
)
_SHORT_SENTENCES = re.compile(rf"{SENTENCES.pattern}|(?<=[a-z)]\.)\s+(?=\d{{2,3}}\b)")
_TURNED_DOWN = re.compile(r"\b(?:turn|turned|turning|reduce|lower|drop)\w*\b.{0,24}\b(?:down|to)\b", re.I)
_TIME_ALONE = re.compile(
    r"(?:[^.;\d]{0,12}\d?[^.;\d]{0,24}\b(?:tin|pan|dish|tray)s?\b,?\s+)?(?:about |for )?[\d½¼¾]{1,3}(?:\s*(?:-|–|to)\s*[\d½¼¾]{1,3})?\s*(?:min(?:ute)?s?|hours?|hrs?|m)\.?(?:,?\s*(?:stirring|turning|rotating|until|till|til)\b.*|,\s*[a-z]+(?:\s+[a-z]+){0,2}|\s+[A-Z].*)?",
    re.I,
)


_DONE = "bake|mix|beat|stir|fold|chill|rise|whisk|pour|cool|roll|spread|melt|boil|simmer|freeze"
# What a step does with its time, by the words before it; the first that fits.
_DOING = (
    ("soak", r"soak|plump|steep"),
    ("chill", r"chill|refrigerat|fridge"),
    ("freeze", r"freez"),
    ("cool", r"\bcool\b|\bcooling\b|stand in the (?:tin|pan)|leave in the (?:tin|pan)"),
    (
        "rest",
        r"(?<!the )\brest\b(?!\s+of\b)|\bresting\b|let (?:it |the \w+ )?(?:stand|sit)|\bset aside\b|prove|proof|rise(?!n)",
    ),
    ("simmer", r"simmer|boil|\bcook\b|stir"),
    ("bake", r"\bbak|oven|roast|toast"),
    ("beat", r"beat|whisk|cream|knead|mix|blend"),
)


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
            told = next((name for name, noun in _CALLED if noun.match(after)), "")
            doing = (
                # "knead, 1 hr rise": what the time itself is called
                told
                or ("bake" if _HEAT_LAST.search(before) and nearest not in _AT_NO_OVEN else nearest)
                or idle
                or left
                or next((name for name, pattern in _DOING_RE if pattern.search(after)), "wait")
            )
            found.append(StepTime(doing, span.low_min, span.high_min))
            start = span.end
    return tuple(found)


# "fill the cases, 200 degrees 18 min": the oven's heat right before a time, whatever was done before that; a pan's is told by what is done.
_HEAT_LAST = re.compile(
    r"\b(?:1[4-9]\d|2[0-4]\d|3\d\d|4[0-5]\d)\s*(?:(?:°|º|degrees\b|deg\b\.?)\s*[CF]?|[CF]\b)\s*(?:fan)?[\s,/–-]*(?:for\s+(?:about\s+)?)?$",
    re.I,
)
_AT_NO_OVEN = frozenset({"simmer", "fry", "soak", "chill", "freeze", "cool"})
_CALLED = (
    ("rest", re.compile(r"\s*(?:rise|proof|prove|rest)\b(?!\s+(?:the|it|them|on|in)\b)", re.I)),
    ("chill", re.compile(r"\s*chill\b(?!\s+(?:the|it|them)\b)", re.I)),
)
# "leave for 30 minutes to form a skin, then bake"
_LEAVES = re.compile(r"\bleave\b(?![^.;]*\boven\b)[^.;]{0,24}$", re.I)
_DOING_RE = tuple((name, re.compile(pattern, re.I)) for name, pattern in _DOING)
