"""From tin to tin: by volume and depth, and how the time follows."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace
from math import ceil, pi, sqrt

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.reference import table

# How the baking time goes with the depth of the batter: between its root and itself (common practice).
TIME_LOW, TIME_HIGH = 0.5, 1.0
# From this much deeper on a milder oven bakes it through before the top is dark [share], and by how much [°C] (common practice).
DEEPER, MILDER_C = 1.25, 10.0
# A tin is filled so far [share of its height] (common practice).
FILLED = 0.67
DEPTH_CM = 5.0
INCH = 2.54


@dataclass(frozen=True, slots=True)
class TinSize:
    """A tin: its shape, its area [cm²], depth [cm] and volume [ml], how many of it, its sides [cm] where it has some, and its holes."""

    shape: str
    area_cm2: float
    depth_cm: float
    volume_ml: float
    count: int = 1
    sides_cm: tuple[float, float] | None = None
    holes: int = 1

    @property
    def across_cm(self) -> float:
        """What a round one, or one of its holes, measures across [cm]."""
        return 2 * sqrt(self.area_cm2 / self.holes / pi)

    @property
    def whole_ml(self) -> float:
        """What all of them hold [ml]."""
        return self.volume_ml * self.count

    @property
    def whole_cm2(self) -> float:
        """The area of all of them [cm²]."""
        return self.area_cm2 * self.count


@dataclass(frozen=True, slots=True)
class Refitted:
    """A recipe in other tins: how much of it, how deep, how long [min] and how hot, and what to mind."""

    factor: float
    depth_ratio: float
    minutes: tuple[int, int] | None
    lower_c: float
    words: tuple[str, ...]


_SIZE = re.compile(
    r"^\s*(?:(?P<count>[2-4])\s*[x×]\s+)?(?:(?P<shape>round|square|oblong|rectangle|loaf|ring)\s+)?(?P<a>\d{1,2}(?:\.\d+)?)(?:\s*[x×]\s*(?P<b>\d{1,2}(?:\.\d+)?))?(?:\s*[x×]\s*(?P<c>\d{1,2}(?:\.\d+)?))?\s*(?P<unit>cm|in|inch|inches|\")?\s*(?P<shape2>round|square|oblong|rectangle|loaf|ring)?\b",
    re.I,
)


# "12 muffin cups", "6 ramekins"
_SO_MANY = re.compile(r"(?P<count>[1-9]\d?)\s*[x×-]?\s*(?P<what>[a-z][a-z ]*)", re.I)


def _known(said: str) -> TinSize | None:
    for row in table("tins"):
        if said == row["key"] or said in row["words"].lower().split("|"):
            volume, depth = float(row["volume_ml"]), float(row["depth_cm"])
            sides = (float(row["a_cm"]), float(row["b_cm"])) if row["b_cm"] else None
            holes = int(row["key"].split("_")[1]) if row["shape"] == "cups" else 1
            return TinSize(row["shape"], volume / depth, depth, volume, sides_cm=sides, holes=holes)
    return None


def _piece(words: str) -> TinSize | None:
    """Return one of what is counted by its plural: of "ramekins" one."""
    return _known(words) or _known(singular(words))


def read_size(text: str, depth_cm: float | None = None) -> TinSize:
    """Return a tin by its words: "20 cm round", "2 x 20 cm round", "23x33 cm", "9 in square", "900 g loaf tin", "muffin_12", "6 ramekins".

    Raises
    ------
    OutOfDomainError
        No tin is meant, or it has no room.
    """
    said = text.strip().lower()
    if whole := _known(said):
        return whole
    if (many := _SO_MANY.fullmatch(said)) and (one := _piece(many["what"])):
        return replace(one, count=int(many["count"]))
    found = _SIZE.match(said)
    if not found:
        raise OutOfDomainError(
            f"{text!r} is no tin: say for instance “20 cm round”, “23 x 33 cm” or “loaf_900”", field="tin"
        )
    unit = INCH if (found["unit"] or "cm").startswith(("in", '"')) else 1.0
    a = float(found["a"]) * unit
    b = float(found["b"]) * unit if found["b"] else None
    depth = depth_cm if depth_cm is not None else float(found["c"]) * unit if found["c"] else DEPTH_CM
    shape = (
        found["shape"]
        or found["shape2"]
        or ("square" if b is not None and abs(a - b) < 0.3 else "oblong" if b is not None else "round")
    )
    if not 2 <= a <= 80 or (b is not None and not 2 <= b <= 80):
        raise OutOfDomainError(f"{text}: a tin measures 2 to 80 cm", field="tin")
    if not 0.5 <= depth <= 20:
        raise OutOfDomainError(f"a tin {depth:g} cm deep holds nothing that could be baked", field="depth_cm")
    is_round = shape in ("round", "ring") and b is None
    sides = None if is_round else (a, b if b is not None else a)
    area = sides[0] * sides[1] if sides else pi * a * a / 4
    return TinSize(shape, area, depth, area * depth, int(found["count"] or 1), sides)


def refit(old: TinSize, new: TinSize, minutes: tuple[int, int] | None = None, *, keep_amount: bool = False) -> Refitted:
    """Return a recipe of one tin in another: filled as high, or with the amounts kept.

    Parameters
    ----------
    old, new
        The tins.
    minutes
        How long it bakes in the old one [min]; None where that is not known.
    keep_amount
        Whether the amounts stay and the depth gives way.

    Examples
    --------
    >>> refit(read_size("20 cm round"), read_size("25 cm round")).factor
    1.5625
    """
    factor = 1.0 if keep_amount else new.whole_ml / old.whole_ml
    depth = (factor / new.whole_cm2) / (1.0 / old.whole_cm2)
    span = None
    if minutes is not None:
        low, high = sorted((depth**TIME_LOW, depth**TIME_HIGH))
        span = max(round(minutes[0] * low), 1), max(round(minutes[1] * high), 1)
    words = [f"{factor:.2f} times the amounts" if factor != 1 else "the same amounts"]
    lower = MILDER_C if depth >= DEEPER else 0.0
    if lower:
        words.append(f"the batter lies {depth:.1f} times as deep: {lower:.0f} °C lower, and longer")
    elif depth <= 1 / DEEPER:
        words.append(f"the batter lies {depth:.1f} times as deep: look early")
    if keep_amount and depth * FILLED * old.depth_cm > new.depth_cm:
        words.append("it won't all go in: bake the rest in a small dish")
    return Refitted(round(factor, 4), round(depth, 4), span, lower, tuple(words))


def with_eggs(factor: float, eggs: float) -> tuple[float, str]:
    """Return a factor near the wanted one that keeps whole eggs, or half ones, and the words for it.

    Examples
    --------
    >>> with_eggs(1.5625, 3)
    (1.6667, '5 eggs instead of 3')
    """
    if eggs <= 0:
        return factor, ""
    step = 1.0 if factor * eggs >= 2 else 0.5
    wanted = max(round(factor * eggs / step) * step, step)
    return round(wanted / eggs, 4), f"{wanted:g} egg{'s' if wanted != 1 else ''} instead of {eggs:g}"


def scoops(grams: float, size: int) -> tuple[int, float]:
    """Return how many scoops of a size number a dough makes, and what one weighs [g]: a number tells how many fill a US quart (946 ml), dough at 1.1 g/ml (common practice)."""
    if not LEAST_SCOOP <= size <= MOST_SCOOP:
        raise OutOfDomainError(f"scoops have the numbers {LEAST_SCOOP} to {MOST_SCOOP}, not {size}", field="size")
    each = 946.0 / size * 1.1
    return ceil(grams / each), round(each, 1)


LEAST_SCOOP, MOST_SCOOP = 4, 100


def scoop_for(grams: float, pieces: float) -> int:
    """Return the number of the scoop that makes so many pieces of a dough [g], the nearest that there is.

    Examples
    --------
    >>> scoop_for(624.0, 24)
    40
    """
    if not 1 <= pieces <= 1000:
        raise OutOfDomainError(f"pieces must lie between 1 and 1000, not {pieces:g}", field="pieces")
    return min(max(round(946.0 * 1.1 * pieces / grams), LEAST_SCOOP), MOST_SCOOP)
