"""Units and cup standards, from units.csv and cups.csv."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from sun_crumb.core.errors import require_choice
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class CupStandard:
    """One country's cup and spoons [mL]."""

    key: str
    name: str
    cup_ml: float
    tablespoon_ml: float
    teaspoon_ml: float
    source: str


@dataclass(frozen=True, slots=True)
class Unit:
    """A unit a recipe may name. ``value`` is grams for mass, mL for volume, grams of salt for pinch, None for a piece."""

    key: str
    kind: str
    value: float | None


@cache
def cup_standards() -> dict[str, CupStandard]:
    """Return the known cup standards by key."""
    return {
        row["key"]: CupStandard(
            row["key"],
            row["name"],
            float(row["cup_ml"]),
            float(row["tablespoon_ml"]),
            float(row["teaspoon_ml"]),
            row["source"],
        )
        for row in table("cups")
    }


def cup_standard(key: str) -> CupStandard:
    """Return one cup standard; an unknown key raises UnknownChoiceError that lists the known ones."""
    return cup_standards()[require_choice(key, cup_standards(), "cup")]


@cache
def units() -> dict[str, Unit]:
    """Return the units by key."""
    return {
        row["key"]: Unit(row["key"], row["kind"], float(row["value"]) if row["value"] else None)
        for row in table("units")
    }


@cache
def unit_words() -> dict[str, str]:
    """Return unit keys by every word for them, lower case, except T and t which tell spoons apart by case."""
    words = {}
    for row in table("units"):
        for name in row["names"].split(";"):
            words[name if name in ("T", "t") else name.lower()] = row["key"]
    return words


# Units that a line may name without a number: "handful of walnuts", "snufje zout".
_OFTEN_ALONE = ("pinch", "dash", "handful", "knob", "glug", "drop")
_LEAST_LETTERS = 4


@cache
def words_alone() -> str:
    """Return a pattern of the words for units that stand for one of them where no number does: "pinch salt", "prise salz"."""
    words = [w for w, key in unit_words().items() if key in _OFTEN_ALONE and len(w) >= _LEAST_LETTERS and " " not in w]
    return "|".join(sorted({*words, "sprig"} - {"drops", "pats"}, key=len, reverse=True))


def volume_ml(quantity: float, unit: str, cup: CupStandard) -> float:
    """Return the volume [mL] of *quantity* of a volume *unit*, cups and spoons by the *cup* standard.

    Examples
    --------
    >>> volume_ml(2, "cup", cup_standard("metric"))
    500.0
    """
    by_standard = {
        "cup": cup.cup_ml,
        "tbsp": cup.tablespoon_ml,
        "tsp": cup.teaspoon_ml,
        "spoon": cup.tablespoon_ml,
    }
    known = units()[unit]
    if known.kind != "volume":
        raise ValueError(f"{unit} is not a volume")
    value = by_standard.get(unit, known.value)
    assert value is not None
    return float(quantity * value)
