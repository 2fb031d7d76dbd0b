"""What bakers add where sugar goes: scent, salt, roasting. Common practice; no sweetness is counted for it."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.balance import Family
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.pantry.household import grid_of, household
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reference import table
from sun_crumb.core.wish.goals import Goals

MOST = 4
# Above this share of the sweetness nobody misses any.
LITTLE_GIVEN_UP = 0.85


@dataclass(frozen=True, slots=True)
class Flavour:
    """One suggestion for a component: what, how much of it in all, what it does, and whether the plan puts it in.

    ``grams`` is 0 where nothing is added, as for browned butter; ``position`` the component's line that holds it already,
    None where it is new.
    """

    key: str
    ingredient: str
    name: str
    amount: str
    words: str
    grams: float
    position: int | None
    is_in: bool


def flavours(formula: Formula, family: Family, goals: Goals, pantry: Pantry) -> list[Flavour]:
    """Return what may stand in for sweetness that is given up in one component, the chosen ones first.

    Where the baker chose none, a path that seasons puts in more of what is there already, and no food of its own.
    """
    if goals.wanted_sweetness > LITTLE_GIVEN_UP and not goals.flavours:
        return []
    found = []
    for row in table("flavours"):
        if not family.is_among(row["families"].split()) and row["key"] not in (goals.flavours or ()):
            continue
        flavour = _flavour(formula, row, goals, pantry)
        if flavour is not None:
            found.append(flavour)
    chosen = [f for f in found if f.is_in]
    return chosen + [f for f in found if not f.is_in][: max(MOST - len(chosen), 0)]


def _flavour(formula: Formula, row: dict[str, str], goals: Goals, pantry: Pantry) -> Flavour | None:
    keys = row["ingredients"].split(";")
    fits = [key for key in keys if key not in goals.without and not pantry[key].tags & goals.excluded]
    if not fits:
        return None
    there = next((n for n, x in enumerate(formula.lines) if x.ingredient.key in keys and x.grams > 0), None)
    chosen = row["key"] in (goals.flavours or ())
    if not row["per_kg"]:
        # A way of treating what is there.
        return (
            None
            if there is None
            else Flavour(row["key"], fits[0], pantry[fits[0]].name, "no more of it", row["words"], 0.0, there, False)
        )
    if there is None and row["is_in_all"] == "0":
        return None
    ingredient = pantry[fits[0]] if there is None else formula.lines[there].ingredient
    held = 0.0 if there is None else formula.lines[there].grams
    grams = _dose(ingredient, float(row["per_kg"]), row["measure"], formula.mass_g / 1000)
    if row["is_in_all"] == "0":
        grams += held
    elif there is not None and (row["measure"] in ("each", "g") or grams < 1.1 * held):
        # There is enough of it, or it gives the dessert its name.
        return None
    cup = cup_standard("us")
    amount = household(ingredient, grams, cup) + (" in all" if held else "")
    # What is there already is a taste that the baker likes.
    seasons = goals.flavours is None and goals.preset.seasons and there is not None and row["is_in_all"] == "1"
    return Flavour(row["key"], ingredient.key, ingredient.name, amount, row["words"], grams, there, chosen or seasons)


def _dose(ingredient: Ingredient, per_kg: float, measure: str, kilograms: float) -> float:
    """Return the amount for a batter [g], as a spoon or a scale measures it."""
    each = ingredient.measure(measure) if measure != "g" else None
    grams = per_kg * kilograms * (each.grams if each else 1.0)
    step = grid_of(ingredient, grams, cup_standard("us"))
    return max(round(grams / step), 1) * step


def seasoning_reason(flavour: Flavour) -> str:
    """Return why the plan holds it."""
    return f"{flavour.amount}: {flavour.words} (common practice; no sweetness is counted for it)"
