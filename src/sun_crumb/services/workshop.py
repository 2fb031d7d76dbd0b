"""The sums of the worktop, each by itself: preparations, cups, tins, ovens, heights, candy."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from functools import cache
from typing import Literal

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.kitchen import candy, cutting, ovens, tins
from sun_crumb.core.kitchen.preparations import KINDS, Prepared, prepare
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class SumField:
    """A figure or choice that a sum asks for; its unit is *food* for a pantry key and *text* for words."""

    key: str
    name: str
    unit: str
    usual: str


@dataclass(frozen=True, slots=True)
class Sum:
    """One sum of the workshop."""

    key: str
    name: str
    words: str
    fields: tuple[SumField, ...]


@dataclass(frozen=True, slots=True)
class Figure:
    """One figure of an answer, as it is told."""

    name: str
    told: str


@dataclass(frozen=True, slots=True)
class Part:
    """One part of a picture: its name, how much of it there is, whether it is what is asked for."""

    name: str
    amounts: tuple[float, ...]
    is_chosen: bool = False


@dataclass(frozen=True, slots=True)
class Picture:
    """A sum as a picture: *masses* (water, sugars and the rest [g] of what goes in and comes out), *tins* (length, width and depth [cm], how many; a width of 0 is round), *heats* (from and to [°C]) or *cuts* (sides, rows, columns, which part of the whole)."""

    kind: Literal["masses", "tins", "heats", "cuts"]
    parts: tuple[Part, ...]


@dataclass(frozen=True, slots=True)
class Worked:
    """What a sum comes to: in words, and its figures."""

    words: tuple[str, ...]
    figures: tuple[Figure, ...]
    picture: Picture | None = None


@cache
def sums() -> tuple[Sum, ...]:
    """Return every sum with what it asks for."""
    fields: dict[str, list[SumField]] = {}
    for row in table("workshop_fields"):
        fields.setdefault(row["sum"], []).append(SumField(row["key"], row["name"], row["unit"], row["usual"]))
    return tuple(
        Sum(row["key"], row["name"], row["words"], tuple(fields[row["key"]])) for row in table("workshop_sums")
    )


def work(key: str, given: Mapping[str, str], pantry: Pantry) -> Worked:
    """Return what a sum comes to.

    Raises
    ------
    UnknownChoiceError, OutOfDomainError
        There is no such sum, or a figure is missing or absurd; names the field.
    """
    require_choice(key, {one.key for one in sums()}, "sum")
    given = {k: v for k, v in given.items() if v.strip()}
    if key in KINDS:
        return _prepared(key, given, pantry)
    return _SUMS[key](given, pantry)


def _prepared(key: str, given: Mapping[str, str], pantry: Pantry) -> Worked:
    found = prepare(key, given, pantry)
    figures = [
        Figure("weighs", grams_text(found.made.mass_g)),
        Figure("water", grams_text(found.made.water_g)),
        Figure("sugars", grams_text(found.made.total_sugars_g)),
        Figure("energy", f"{found.made.energy_kcal:.0f} kcal"),
    ]
    if found.left.mass_g > 0.05:
        figures.append(
            Figure("left over", f"{grams_text(found.left.mass_g)}, {grams_text(found.left.total_sugars_g)} of it sugar")
        )
    if found.drawn.mass_g > 0.05:
        figures.append(Figure("steams off", grams_text(found.drawn.mass_g)))
    return Worked((found.words,), tuple(figures), _masses(found))


def _masses(found: Prepared) -> Picture:
    whole = found.made + found.left + found.drawn
    told = (("goes in", whole), ("is made", found.made), ("is left", found.left), ("steams off", found.drawn))
    return Picture(
        "masses",
        tuple(
            Part(
                name, (m.water_g, m.total_sugars_g, max(m.mass_g - m.water_g - m.total_sugars_g, 0.0)), m is found.made
            )
            for name, m in told
            if m.mass_g > 0.05
        ),
    )


def number(given: Mapping[str, str], key: str, usual: float | None = None) -> float:
    """Return a figure that a sum was given; *usual* where it wasn't.

    Raises
    ------
    OutOfDomainError
        It is missing, or no number; names the field.
    """
    text = given.get(key)
    if text is None:
        if usual is None:
            raise OutOfDomainError(f"{key} is wanted", field=key)
        return usual
    try:
        return float(text.replace(",", "."))
    except ValueError:
        raise OutOfDomainError(f"{key}: {text!r} is no number", field=key) from None


def _cups(given: Mapping[str, str], pantry: Pantry) -> Worked:
    food, cup = pantry[given.get("food", "plain_flour")], cup_standard(given.get("cup", "us"))
    spoons = food.spoons(cup)
    if spoons is None:
        raise OutOfDomainError(f"no weight is known for a cup of {food.name}", field="food")
    cups = number(given, "cups", 1.0)
    if not 0 < cups <= 100:
        raise OutOfDomainError("cups must lie between 0 and 100", field="cups")
    words = f"{cups:g} cups of {food.name} are {grams_text(cups * spoons.cup_g)} ({cup.name}, {cup.cup_ml:.0f} ml)."
    return Worked(
        (words,),
        (Figure("weighs", grams_text(cups * spoons.cup_g)), Figure("a tablespoon", grams_text(spoons.tablespoon_g))),
    )


def food_of(key: str, given: Mapping[str, str], pantry: Pantry) -> Ingredient:
    """Return the food that a sum is asked about, its usual one where none is told."""
    usual = next(
        (field.usual for one in sums() if one.key == key for field in one.fields if field.key == "food"), "milk"
    )
    return pantry[given.get("food", usual)]


def minutes_of(text: str) -> tuple[int, int] | None:
    """Return minutes told as 40-45, None for nothing.

    Raises
    ------
    OutOfDomainError
        They are none.
    """
    parts = text.replace("–", "-").split("-")
    try:
        return (int(parts[0]), int(parts[-1])) if text.strip() else None
    except ValueError:
        raise OutOfDomainError(f"minutes: {text!r} are none; say for instance 40-45", field="minutes") from None


def _tin(given: Mapping[str, str], _: Pantry) -> Worked:
    old, new = tins.read_size(given.get("old", "")), tins.read_size(given.get("new", ""))
    found = tins.refit(old, new, minutes_of(given.get("minutes", "")))
    eggs, told = tins.with_eggs(found.factor, number(given, "eggs", 0.0))
    figures = [
        Figure("times the amounts", f"{found.factor:.2f}"),
        Figure("holds", f"{new.whole_ml:.0f} ml instead of {old.whole_ml:.0f}"),
    ]
    if told:
        figures.append(Figure("with whole eggs", f"{eggs:.2f} times: {told}"))
    if found.minutes:
        figures.append(Figure("bakes", f"{found.minutes[0]} to {found.minutes[1]} min"))
    words = [f"{told[0].upper()}{told[1:]}." for told in found.words[1:]]
    return Worked(
        tuple(words) or ("Filled as high as before: the same time.",),
        tuple(figures),
        Picture("tins", (_drawn("the recipe's", old), _drawn("at hand", new, is_chosen=True))),
    )


def _drawn(name: str, tin: tins.TinSize, *, is_chosen: bool = False) -> Part:
    """Return a tin to be drawn: by its sides, or a round one by its diameter."""
    return Part(name, (*(tin.sides_cm or (tin.across_cm, 0.0)), tin.depth_cm, float(tin.count * tin.holes)), is_chosen)


def _oven(given: Mapping[str, str], _: Pantry) -> Worked:
    found = ovens.setting(
        number(given, "temperature"),
        given.get("unit", "C"),
        is_fan=given.get("fan", "no").lower().startswith("y"),
        offset_c=number(given, "offset", 0.0),
    )
    figures = (
        Figure("without fan", f"{found.conventional_c:.0f} °C"),
        Figure("with fan", f"{found.fan_c:.0f} °C"),
        Figure("°F", f"{found.fahrenheit}"),
        Figure("gas mark", found.gas),
        Figure("set the dial to", f"{found.dial_c:.0f} °C"),
    )
    return Worked(found.words or ("An oven is seldom at its dial's number: a thermometer tells.",), figures)


def _height(given: Mapping[str, str], _: Pantry) -> Worked:
    found = ovens.at_height(number(given, "altitude"))
    return Worked(
        tuple(f"{w[0].upper()}{w[1:]}." for w in found.words),
        (
            Figure("water boils at", f"{found.boiling_c:.1f} °C"),
            Figure("leavening", f"{100 * found.leaven_share:.0f} %"),
        ),
    )


def _scoop(given: Mapping[str, str], _: Pantry) -> Worked:
    grams = number(given, "grams")
    if not 0 < grams <= MOST_DOUGH_G:
        raise OutOfDomainError(f"grams must lie between 0 and {MOST_DOUGH_G:.0f}", field="grams")
    pieces = number(given, "pieces", 0.0)
    size = tins.scoop_for(grams, pieces) if pieces else round(number(given, "size", 40.0))
    count, each = tins.scoops(grams, size)
    told = f"A no. {size} scoop holds about {grams_text(each)} of dough: {grams_text(grams)} make {count}."
    return Worked(
        (told,), (Figure("each", grams_text(each)), Figure("makes", f"{count}"), Figure("scoop", f"no. {size}"))
    )


def _cut(given: Mapping[str, str], _: Pantry) -> Worked:
    tin = tins.read_size(given.get("tin", ""))
    cuts = cutting.cut(tin, cutting.read_pieces(given.get("pieces", "")))
    figures = [Figure("pieces", f"{sum(one.pieces for one in cuts)}")]
    for key, name, unit in (("grams", "weighs", "g"), ("sugar", "holds", "g of free sugar")):
        whole = number(given, key, 0.0)
        if not 0 <= whole <= MOST_DOUGH_G:
            raise OutOfDomainError(f"{key} must lie between 0 and {MOST_DOUGH_G:.0f}", field=key)
        if whole:
            told = " or ".join(dict.fromkeys(f"{whole * one.share_each:.3g}" for one in cuts))
            figures.append(Figure(f"each {name}", f"{told} {unit}"))
    parts = tuple(
        Part("", (one.long_cm, one.wide_cm, float(one.rows), float(one.columns), 0.5 if one.is_half else 1.0))
        for one in cuts
    )
    return Worked((cutting.rows_told(cuts),), tuple(figures), Picture("cuts", parts))


# More dough than this is a bakery's [g] (judgement).
MOST_DOUGH_G = 50_000.0


def pot_of(text: str, pantry: Pantry) -> list[tuple[Ingredient, float]]:
    """Return the sugars of a pot as told: a food's key, or several with their weights [g]: "white_sugar:200,honey:50".

    Raises
    ------
    UnknownIngredientError, OutOfDomainError
        No such food, or no weight; names the field.
    """
    pot = []
    for part in filter(None, (p.strip() for p in text.split(","))):
        key, _, grams = part.partition(":")
        pot.append((pantry[key.strip()], number({"sugar": grams}, "sugar") if grams else 100.0))
    if any(not 0 < grams <= MOST_DOUGH_G for _, grams in pot):
        raise OutOfDomainError(f"sugar: each weighs more than nothing and at most {MOST_DOUGH_G:.0f} g", field="sugar")
    return pot


def _candy(given: Mapping[str, str], pantry: Pantry) -> Worked:
    pot = pot_of(given.get("sugar", ""), pantry)
    found = candy.boiled(given.get("stage"), None, number(given, "altitude", 0.0), None, pot)
    stage = found.stage
    browns = (Figure("browns from", f"{found.browns_from_c:.0f} °C"),) if found.browns_from_c is not None else ()
    return Worked(
        tuple(f"{w[0].upper()}{w[1:]}" for w in found.words),
        (
            Figure("from", f"{stage.low_c:.0f} °C, {found.low_f} °F"),
            Figure("to", f"{stage.high_c:.0f} °C, {found.high_f} °F"),
            Figure("water boils at", f"{found.boiling_c:.1f} °C"),
            *browns,
        ),
        Picture(
            "heats",
            tuple(
                Part(one.name, (one.low_c, one.high_c), one.key == stage.key)
                for one in sorted(found.all_stages, key=lambda one: one.low_c)
            ),
        ),
    )


_SUMS: dict[str, Callable[[Mapping[str, str], Pantry], Worked]] = {
    "cups": _cups,
    "tin": _tin,
    "cut": _cut,
    "scoop": _scoop,
    "oven": _oven,
    "altitude": _height,
    "candy": _candy,
}
