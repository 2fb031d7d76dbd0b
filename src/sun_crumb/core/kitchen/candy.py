"""Boiled sugar: stages by temperature, corrected for height and for what else is dissolved."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.kitchen.ovens import boiling_point_c
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.reference import table

# What scorches before white sugar does browns so much sooner than its sugars alone [°C] (judgement: minerals and acids).
SOONER_C = 10.0
# What of the sugars must brown at all for the whole to be called a caramel [share] (judgement).
LEAST_BROWNING = 0.2
# More molecules than this for each of sucrose no syrup holds [1].
MOST_MOLECULES = 2.5
# Less sugar than this in a pot is no candy [share] (judgement).
LEAST_SUGAR = 0.2
CARAMEL = "caramel"
CAUTION = "Boiling sugar burns deeper than water: long sleeves, no children near, a bowl of cold water at hand, and never taste it hot."


@dataclass(frozen=True, slots=True)
class Stage:
    """A stage of boiled sugar: from and to [°C], as the thermometer shows it here, and how a drop tells it."""

    key: str
    name: str
    low_c: float
    high_c: float
    words: str


@dataclass(frozen=True, slots=True)
class Boiled:
    """A stage here and now, the one asked for; the water's boiling point [°C]; cautions."""

    stage: Stage
    boiling_c: float
    low_f: int
    high_f: int
    words: tuple[str, ...]
    browns_from_c: float | None = None
    all_stages: tuple[Stage, ...] = ()


# Several sugars boiled together, each with its weight [g].
Pot = Sequence[tuple[Ingredient, float]]


def molar_factor_of(pot: Pot) -> float:
    """Return how many times sucrose's molecules the sugars of a pot hold, gram for gram: honey nearly twice as many.

    Raises
    ------
    OutOfDomainError
        It holds hardly any sugar.

    Examples
    --------
    >>> from sun_crumb.core.pantry import shipped_pantry
    >>> round(molar_factor_of([(shipped_pantry()["honey"], 100)]), 1)
    1.9
    """
    grams = moles = 0.0
    sucrose = next(float(row["molar_g"]) for row in table("solutes") if row["field"] == "sucrose_g")
    for row in table("solutes"):
        held = sum(getattr(food.per_100g, row["field"]) / 100 * weight for food, weight in pot)
        grams += held
        moles += held / float(row["molar_g"])
    if grams < LEAST_SUGAR * sum(weight for _, weight in pot):
        raise OutOfDomainError("this boils to no candy: it holds hardly any sugar", field="sugar")
    return moles / grams * sucrose


def browns_from_c(pot: Pot) -> float | None:
    """Return from about what heat the sugars of a pot brown [°C]; None where they don't, as erythritol.

    The mean of browning.csv by the share of each sugar, and SOONER_C less for what scorches before white sugar does (judgement).
    """
    browning = {row["field"]: float(row["browns_from_c"]) for row in table("browning")}
    sugars = {row["field"] for row in table("solutes")}
    held = {name: sum(getattr(food.per_100g, name) / 100 * weight for food, weight in pot) for name in sugars}
    browned = sum(held[name] for name in browning)
    if browned <= 0 or browned < LEAST_BROWNING * sum(held.values()):
        return None
    scorching = sum(weight for food, weight in pot if "scorches" in food.traits) / sum(weight for _, weight in pot)
    return float(round(sum(held[n] * at for n, at in browning.items()) / browned - SOONER_C * scorching, 1))


def stages(altitude_m: float = 0.0, molar_factor: float = 1.0) -> tuple[Stage, ...]:
    """Return every stage as the thermometer shows it at a height, with so many times sucrose's molecules dissolved (Raoult's law, an estimate)."""
    if not 0.5 <= molar_factor <= MOST_MOLECULES:
        raise OutOfDomainError(f"{molar_factor:g} times the molecules of sugar is no syrup", field="molar_factor")
    water = boiling_point_c(altitude_m)

    def here(row: Mapping[str, str], key: str) -> float:
        # What is molten sugar boils no more: its heat is its own, at any height.
        is_molten = float(row["sugar_share"]) >= 1.0
        return float(row[key]) if is_molten else round(water + (float(row[key]) - 100) * molar_factor, 1)

    return tuple(
        Stage(row["key"], row["name"], here(row, "low_c"), here(row, "high_c"), row["words"])
        for row in table("candy_stages")
    )


def boiled(
    stage: str | None = None,
    temperature_c: float | None = None,
    altitude_m: float = 0.0,
    molar_factor: float | None = None,
    pot: Pot = (),
) -> Boiled:
    """Return a stage by its name, or the one that a temperature is [°C], at a height; of the sugars in a *pot* where they are told.

    Raises
    ------
    UnknownChoiceError, OutOfDomainError
        There is no such stage, or the temperature is none of boiled sugar; names the field.

    References
    ----------
    candy_stages.csv, browning.csv
    """
    if molar_factor is None:
        molar_factor = min(molar_factor_of(pot), MOST_MOLECULES) if pot else 1.0
    browns = browns_from_c(pot) if pot else None
    found = {s.key: s for s in stages(altitude_m, molar_factor)}
    if browns is not None:
        amber = found[CARAMEL]
        found[CARAMEL] = replace(amber, low_c=browns, high_c=round(browns + amber.high_c - amber.low_c, 1))
    if stage is not None:
        one = found[require_choice(stage.strip().lower().replace(" ", "_"), found, "stage")]
    elif temperature_c is not None:
        if not 90 <= temperature_c <= 200:
            raise OutOfDomainError(f"{temperature_c:g} °C is no stage of boiled sugar (90 to 200)", field="temperature")
        one = min(found.values(), key=lambda s: max(s.low_c - temperature_c, temperature_c - s.high_c, 0.0))
    else:
        raise OutOfDomainError("say a stage or a temperature", field="stage")
    water = boiling_point_c(altitude_m)
    words = [f"{one.name}: {one.low_c:.0f} to {one.high_c:.0f} °C here, {one.words}"]
    if altitude_m >= 100:
        words.append(
            f"at {altitude_m:.0f} m water boils at {water:.1f} °C: every stage up to hard crack lies {100 - water:.1f} °C lower"
        )
    if pot:
        words.append(_scorch_words(one, browns, [food.name for food, _ in pot]))
    words.append("off at the first smell of burning, whatever the thermometer says")
    return Boiled(
        one,
        round(water, 1),
        round(one.low_c * 1.8 + 32),
        round(one.high_c * 1.8 + 32),
        (*words, CAUTION),
        browns,
        tuple(found.values()),
    )


def _scorch_words(stage: Stage, browns: float | None, names: Sequence[str]) -> str:
    """Return how far a pot may be boiled before its sugars catch."""
    what = " with ".join(names)
    if browns is None:
        return f"{what}: does not brown, and clouds again as it cools; it makes no caramel"
    if stage.key == CARAMEL:
        return f"{what}: amber from about {browns:.0f} °C; it goes on browning off the heat"
    told = f"{what}: browns from about {browns:.0f} °C"
    if stage.low_c > browns:
        return f"{told}, before it is at this stage: it burns on the way; stop at an earlier stage, or boil white sugar"
    if stage.high_c > browns:
        return f"{told}, within this stage: take it off at its beginning, and stir all the while"
    return f"{told}: {browns - stage.high_c:.0f} °C of room above this stage"
