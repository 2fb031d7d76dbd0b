"""The tin that a method tells, in cm: round, square, oblong, a loaf tin by its weight, one with holes."""

from __future__ import annotations

import re
from collections.abc import Callable

from sun_crumb.core.quantities.numbers import read_quantity
from sun_crumb.core.reading.records import Tin

_INCH = 2.54
_DIMENSION = r"(\d{1,2}(?:[.,]\d)?(?:\s*(?:½|1/2))?)"
_LENGTH = r"\s*[- ]?\s*(cm|centimet(?:re|er)s?|mm|inch(?:es)?|in\b\.?(?!\s*\d)|\"|″|”)"
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
