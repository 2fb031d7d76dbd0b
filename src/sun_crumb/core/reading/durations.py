"""Spans of time in words: "40-45 minutes", "1 to 1½ hours", "50 mins - 1 hr", "overnight"."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass

from sun_crumb.core.quantities.numbers import FRACTIONS

_WORDS = {
    "a": 1.0, "an": 1.0, "one": 1.0, "two": 2.0, "three": 3.0, "four": 4.0, "five": 5.0, "six": 6.0, "eight": 8.0, "ten": 10.0, "twelve": 12.0,
    "seven": 7.0, "nine": 9.0, "eleven": 11.0, "fifteen": 15.0, "twenty": 20.0, "thirty": 30.0, "forty": 40.0, "fifty": 50.0, "sixty": 60.0,
    "twenty-five": 25.0, "thirty-five": 35.0, "forty-five": 45.0, "fifty-five": 55.0, "one and a half": 1.5, "one and a quarter": 1.25, "one and three quarters": 1.75, "two and a half": 2.5, "two and a quarter": 2.25,
    "three and a half": 3.5, "three quarters of an": 0.75, "half an": 0.5, "half a": 0.5, "a couple of": 2.0, "another": 1.0,
}  # fmt: skip
_GLYPHS = "".join(FRACTIONS)
_NUMBER = rf"(?:\d{{1,3}}(?:[.,]\d{{1,2}})?(?:\s*[{_GLYPHS}]|\s+\d/\d)?|[{_GLYPHS}]|\d/\d|{'|'.join(sorted(_WORDS, key=len, reverse=True))})"
_UNIT = r"(?P<{0}>min(?:ute[ns]?|ut[io]s?|uter)?s?\b\.?|hours?\b|stunden?\b|std\b\.?|heures?\b|horas?\b|hrs?\b\.?|h(?=[0-5]\d\b)|h\b|days?\b|m\b)"
_SPAN = re.compile(
    rf"(?<![\w.,/°½¼¾⅓⅔])(?P<low>{_NUMBER})\s*(?:{_UNIT.format('low_unit')}\s*)?(?:(?:-|–|—|to|or|(?<=\d)/(?=\d\d))\s*(?P<high>{_NUMBER})\s*)?-?(?:(?:more|further|extra|full|good)\s+)?{_UNIT.format('unit')}"
    rf"(?:\s*(?:and\s+)?(?:(?P<half>a half)|(?P<quarter>a quarter)|(?P<quarters>three[- ]quarters)|(?P<more>\d{{1,2}})\s*(?:min(?:ute)?s?\b\.?|m\b)|(?:(?<=[hr.s]\s)|(?<=\dh))(?P<bare>[0-5]\d)(?=\s*(?:[.,;)](?!\d)|$|(?:at|until|till?|or until)\b))))?",
    re.I,
)
_OVERNIGHT = re.compile(r"\bover\s?night\b|\b(?:un)?til+ (?:the )?(?:next|following) (?:day|morning)\b", re.I)
_GAS_MARK = re.compile(r"\b(?:gas(?:\s+mark)?|gm|mark)\s*$", re.I)
# "bake 15-20 til golden": minutes, as nobody counts anything else there.
_BARE_BAKE = re.compile(
    r"\b(?:bake|roast)\s+(?:for\s+)?(?:about\s+|abt\s+|~\s*)?(?P<low>[1-9]\d)(?:(?:\s*(?:-|–|to)\s*(?P<high>[1-9]\d))(?=\s*(?:[.,;]|til\b|till\b|until\b|or (?:so|until)|$))|(?=\s*(?:til\b|till\b|until\b|or (?:so|until))))",
    re.I,
)
# "180 for 35-40": minutes too, behind an oven's heat.
_BARE_AT_HEAT = re.compile(
    r"\b(?:1[4-9]\d|2[0-4]\d|3[0-9][05]|4[0-5]0)\s*(?:°|º)?\s*(?:C|F)?\s*(?:fan\s*)?(?:,|for)\s+(?:about\s+|~\s*)?(?P<low>[1-9]\d)\s*(?:-|–|to)\s*(?P<high>[1-9]\d)(?=\s*(?:[.,;]|til\b|till\b|until\b|or so|$))",
    re.I,
)
# "10 min. per side": both of them.
_EACH_SIDE = re.compile(
    r"(?<![\w.,/-])(?P<low>[1-9]\d?)(?:\s*(?:-|–|to)\s*(?P<high>[1-9]\d?))?\s*(?:min(?:ute)?s?\b\.?|m\b)(?=\s*(?:a side|per side|(?:on )?(?:each|either) side)\b)",
    re.I,
)
# A night in the fridge [min] (common practice).
NIGHT = (480, 720)
# How often something is done, when within a time, or how long a thing keeps, is no time to wait.
_NOT_BEFORE = re.compile(
    r"\b(?:every|(?<!bake )(?<!cook )(?<!fry )each|after|(?:for|in|during) the (?:last|final|first)|halfway|at|within|up to the last|keeps?(?: for)?|(?:keeps?|stores?|stored|kept)\b[^.;]{0,30}\bup to)\s*(?:about\s+)?$",
    re.I,
)
_NOT_AFTER = re.compile(r"^\s*(?:before the end|a side|per side|on each side|each side|old\b|ahead)", re.I)


@dataclass(frozen=True, slots=True)
class Duration:
    """A span of time [min] and where it stands in the text."""

    start: int
    end: int
    low_min: int
    high_min: int


def durations(text: str) -> list[Duration]:
    """Return the times that *text* tells to wait or to work, in order [min].

    How often something is done ("every 5 minutes") is none, nor how long it keeps ("keep for up to 5 days"). "At least 4 hours or overnight" is one.

    Examples
    --------
    >>> [(d.low_min, d.high_min) for d in durations("Rise for 1 to 1½ hours, then bake 50 mins - 1 hr, stirring every 10 minutes.")]
    [(60, 90), (50, 60)]
    >>> [(d.low_min, d.high_min) for d in durations("Chill for at least 4 hours or overnight.")]
    [(240, 720)]
    """
    found = [
        d
        for d in _joined(text, list(_spans(text)))
        if not _NOT_BEFORE.search(text[max(0, d.start - 50) : d.start])
        and not _NOT_AFTER.match(text[d.end : d.end + 40])
    ]
    found += [
        Duration(side.start(), side.end(), 2 * int(side["low"]), 2 * int(side["high"] or side["low"]))
        for side in _EACH_SIDE.finditer(text)
        if re.search(r"\bbak(?:e|ing)\b|\boven\b", text, re.I)
    ]
    found += [
        Duration(bare.start("low"), bare.end(), int(bare["low"]), int(bare["high"] or bare["low"]))
        for bare in (*_BARE_BAKE.finditer(text), *_BARE_AT_HEAT.finditer(text))
        if not any(d.start < bare.end() and bare.start("low") < d.end for d in found)
    ]
    for night in _OVERNIGHT.finditer(text):
        before = next(
            (
                d
                for d in found
                if re.fullmatch(
                    r"\s*(?:,|or|up to|to|and|ideally|or up to|preferably|better)*[\s,]*(?:or\s+)?(?:ideally\s+|preferably\s+|better\s+)?",
                    text[d.end : night.start()],
                )
            ),
            None,
        )
        if before is not None:
            found[found.index(before)] = Duration(before.start, night.end(), before.low_min, NIGHT[1])
        else:
            found.append(Duration(night.start(), night.end(), *NIGHT))
    return sorted(found, key=lambda d: d.start)


def _joined(text: str, spans: list[Duration]) -> list[Duration]:
    """Return spans, two that a range joins as one: "1 hour 15 minutes to 1 hour 30 minutes"."""
    found: list[Duration] = []
    for span in spans:
        if found and re.fullmatch(r"\s*(?:to|-|–|or)\s*", text[found[-1].end : span.start]):
            found[-1] = Duration(found[-1].start, span.end, found[-1].low_min, max(span.high_min, found[-1].low_min))
        else:
            found.append(span)
    return found


def _spans(text: str) -> Iterator[Duration]:
    at = 0
    while span := _SPAN.search(text, at):
        at = span.end()
        if span["high"] is None and span["low_unit"]:
            # "4 hrs min": at least so long.
            least = round(_value(span["low"]) * _minutes(span["low_unit"]))
            yield Duration(span.start(), span.end(), least, least)
            continue
        if span["high"] and (_GAS_MARK.search(text, 0, span.start()) or _is_heat_first(span)):
            span = _SPAN.search(text, span.start("high")) or span  # "Gas 5 - 22 mins", "350 - 40 min"
        unit = _minutes(span["unit"])
        low_unit = _minutes(span["low_unit"]) if span["low_unit"] else unit
        # "1 hr 10": minutes, as nobody adds a number to minutes.
        parts = 0.5 if span["half"] else 0.25 if span["quarter"] else 0.75 if span["quarters"] else 0.0
        more = parts * unit if parts else float(span["more"] or (unit == 60.0 and span["bare"]) or 0)
        high = _value(span["high"]) * unit + more if span["high"] else _value(span["low"]) * unit + more
        low = _value(span["low"]) * low_unit + (0 if span["high"] else more)
        if span["high"] and _value(span["high"]) < 1 <= _value(span["low"]) and not span["low_unit"]:
            low = high = low + high  # "1-1/2 hours"
        if low > high:
            low, high = high, low
        yield Duration(span.start(), span.end(), round(low), round(high))


def _is_heat_first(span: re.Match[str]) -> bool:
    """Return whether the first number of a falling span is an oven's heat: "350 - 40 min"."""
    return not span["low_unit"] and _value(span["low"]) >= LEAST_HEAT > _value(span["high"])


# No oven is cooler, and no span of minutes falls from so many [°C or °F, min] (judgement).
LEAST_HEAT = 140


def _minutes(unit: str) -> float:
    head = unit.lower()[0]
    return 60.0 if head == "h" else 1440.0 if head == "d" else 1.0


def _value(words: str) -> float:
    text = re.sub(r"\s+", " ", words.lower().strip())
    if text in _WORDS:
        return _WORDS[text]
    total = 0.0
    for part in re.findall(rf"\d+/\d+|\d+(?:[.,]\d+)?|[{_GLYPHS}]", text):
        if "/" in part:
            top, bottom = part.split("/")
            total += int(top) / max(int(bottom), 1)
        else:
            total += FRACTIONS[part] if part in FRACTIONS else float(part.replace(",", "."))
    return total
