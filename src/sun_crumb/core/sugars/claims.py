"""What may be said of a dessert under US and EU food law. An aid for bakers, no legal advice."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from typing import Protocol

from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.reference import constant, table
from sun_crumb.core.sugars.reference_amounts import reference_amount

# A weight below which the law's limits count a sugar as none [g in 100 g] is the limit itself; this is rounding.
SLACK = 1e-9


class Held(Protocol):
    """What a batch holds."""

    @property
    def mass_g(self) -> float: ...
    @property
    def energy_kcal(self) -> float: ...
    @property
    def total_sugars_g(self) -> float: ...


class Line(Protocol):
    """A weighed ingredient."""

    @property
    def ingredient(self) -> Ingredient: ...
    @property
    def grams(self) -> float: ...


@dataclass(frozen=True, slots=True)
class Claim:
    """One claim: the law that knows it, whether it may be made, and why or why not."""

    key: str
    law: str
    name: str
    is_allowed: bool
    why: str


def claims(
    before: Held,
    after: Held,
    lines: Iterable[Line],
    servings: int = 1,
    was: Iterable[Line] = (),
    kinds: Iterable[Sequence[str]] = (),
) -> list[Claim]:
    """Return every claim of claims.csv for *after*, compared with *before* at equal mass.

    Parameters
    ----------
    before, after
        The original and the reworked batch.
    lines
        The reworked lines; what sweetens among them decides on "no added sugar".
    servings
        Portions of the batch.
    was
        The original's lines: fruit, juice, paste or purée of which there is more now is put in for its sweetness.
    kinds
        Each component's family and its kin, for the US reference amount; without them the largest is taken.

    References
    ----------
    21 CFR 101.60(c) and 101.12(b) and Regulation (EC) 1924/2006, annex; all from memory of the text.
    """
    lines = [line for line in lines if line.grams > 0]
    eaten = reference_amount(kinds)
    most = eaten.grams
    is_low = _is_low_in_calories(after, most)
    statement = (
        "it is low in calories, so the claim stands alone"
        if is_low
        else "it is not low in calories, which the pack must say beside the claim"
    )
    sugars = 100 * after.total_sugars_g / after.mass_g
    a_serving = after.total_sugars_g / servings
    less = 1 - sugars / (100 * before.total_sugars_g / before.mass_g) if before.total_sugars_g > 0 else 0.0
    energy_rises = after.energy_kcal / after.mass_g > before.energy_kcal / before.mass_g * 1.0005
    added = [
        x.ingredient.name
        for x in lines
        if x.ingredient.per_100g.total_sugars_g * x.ingredient.per_100g.added_us_share > 0.5
    ]
    raised = [name for name in _raised(was, lines) if name not in added]
    juice = [x.ingredient.name for x in lines if x.ingredient.sugar_kind == "concentrate"]
    sweetening = list(dict.fromkeys([*(x.ingredient.name for x in lines if _sweetens(x.ingredient)), *raised]))
    holds = f"it holds {sugars:.1f} g of sugars in 100 g"
    limits = {row["key"]: float(row["limit"]) for row in table("claims") if row["limit"]}
    us_free, us_less = limits["us_sugar_free"], limits["us_reduced"]
    eu_free, eu_low, eu_less = limits["eu_sugar_free"], limits["eu_low"], limits["eu_reduced"]
    verdicts = {
        "us_sugar_free": (
            max(a_serving, sugars * most / 100) < us_free - SLACK and not added,
            f"a portion holds {a_serving:.1f} g of sugars; under {us_free:g} g is asked, and in {most:g} g of it too, what the law reckons eaten"
            + f" at once ({eaten.words}); {statement}"
            + (f"; {added[0]} is a sugar to the law" if added else "")
            + (f": {juice[0]} sweetens with the fruit's sugar" if juice else ""),
        ),
        "us_no_added": (
            not added and not raised,
            f"{_some(added)} {'counts' if len(added) == 1 else 'count'} as added sugar"
            if added
            else f"{_some(raised)} {'takes' if len(raised) == 1 else 'take'} the place of sugar, which the law bars"
            if raised
            else f"nothing with sugar is put in for it; the usual kind must hold added sugar; {statement}",
        ),
        "us_reduced": (
            less >= us_less - SLACK,
            f"{100 * less:.0f} % less sugars at equal weight; {100 * us_less:.0f} % is asked",
        ),
        "us_low": (False, "US law knows no such claim"),
        "eu_sugar_free": (sugars <= eu_free, f"{holds}; at most {eu_free:g} g is asked"),
        "eu_low": (sugars <= eu_low, f"{holds}; at most {eu_low:g} g is asked"),
        "eu_no_added": (
            not sweetening,
            f"{_some(sweetening)} {'sweetens' if len(sweetening) == 1 else 'sweeten'} it, which the law counts as added"
            if sweetening
            else f"nothing is put in to sweeten; {holds}, so it must say “contains naturally occurring sugars”",
        ),
        "eu_reduced": (
            less >= eu_less - SLACK and not energy_rises,
            f"{100 * less:.0f} % less sugars at equal weight; {100 * eu_less:.0f} % is asked, and no more energy"
            + (", but it holds more" if energy_rises else ""),
        ),
    }
    return [Claim(row["key"], row["law"], row["name"], *verdicts[row["key"]]) for row in table("claims")]


def _is_low_in_calories(held: Held, eaten_g: float) -> bool:
    """Return whether US law calls it low in calories: at most 40 kcal in the reference amount, and in 50 g of what is eaten by 30 g or less."""
    grams = max(eaten_g, constant("us_low_calorie_least_g")) if eaten_g <= constant("us_small_amount_g") else eaten_g
    return held.energy_kcal / held.mass_g * grams <= constant("us_low_calorie_kcal") + SLACK


def _sweetens(ingredient: Ingredient) -> bool:
    """Return whether a food with sugar is used for its sweetness: sugars, syrups, pastes of dried fruit, jam."""
    c = ingredient.per_100g
    if c.total_sugars_g < 5:
        return False
    return c.free_who_share > 0.1 or ingredient.has_role("sugar", "syrup", "paste")


def _raised(was: Iterable[Line], lines: Iterable[Line]) -> list[str]:
    """Return the foods with sugar of their own of which there is more than there was: they sweeten in its place.

    Milk does not, nor do nuts, nor what only flavours.
    """
    grams: dict[str, float] = {}
    for line in was:
        grams[line.ingredient.key] = grams.get(line.ingredient.key, 0.0) - line.grams
    now: dict[str, Ingredient] = {}
    for line in lines:
        grams[line.ingredient.key] = grams.get(line.ingredient.key, 0.0) + line.grams
        now[line.ingredient.key] = line.ingredient
    return [food.name for key, food in now.items() if grams[key] > SLACK and _has_own_sugar(food)]


def _has_own_sugar(ingredient: Ingredient) -> bool:
    sugars = ingredient.per_100g.total_sugars_g
    if ingredient.has_role("fruit", "puree", "paste", "syrup", "sugar"):
        return sugars >= 2
    return sugars >= 5 and "milk" not in ingredient.tags and not ingredient.has_role("flavour", "nut")


def _some(names: list[str]) -> str:
    return (
        names[0]
        if len(names) == 1
        else f"{names[0]} and {names[1]}"
        if len(names) == 2
        else f"{names[0]}, {names[1]} and others"
    )
