"""The first words on a plan: what a portion holds, from its own figures and nothing else."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from sun_crumb.core.formula import Formula, FormulaLine, Totals
from sun_crumb.core.offers.moves import is_cuttable
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.sugars.savings import Savings
from sun_crumb.core.wish.goals import Goals

# What is none [g in a portion], and how much less sweet is worth a word (judgement).
NONE_G, TOLD_SWEET = 0.25, 0.1
# A portion that is smaller by this part is told, and a saving at equal weight that is less than this part of what seems saved.
SMALLER, HARDLY = 0.06, 0.6


@dataclass(frozen=True, slots=True)
class Told:
    """What a headline speaks of: the recipe before and after, their totals for the whole batch, and the saving at equal weight."""

    goals: Goals
    original: Formula
    after: Formula
    totals_before: Totals
    totals_after: Totals
    saved: Savings


def headline(told: Told) -> str:
    """Return the first words on a plan."""
    return " ".join(_sentences(told))


def _sentences(told: Told) -> Iterator[str]:
    unit, servings = told.original.unit, told.original.servings
    before, after = told.totals_before, told.totals_after
    old, new = before.free_sugars_who_g / servings, after.free_sugars_who_g / servings
    calories = (after.energy_kcal - before.energy_kcal) / servings
    yield f"Free sugar in each {unit}: {grams_text(old)} before, {grams_text(new)} after; {_calories(calories)}."
    if (smaller := _at_equal_weight(told, old - new)) is not None:
        yield smaller
    yield from _refined(told)
    sweet = _sweetness(after) / _sweetness(before) if _sweetness(before) > 0 else 1.0
    if sweet < 1 - TOLD_SWEET:
        yield f"It tastes {100 * sweet:.0f} % as sweet."
    yield from _what_came_in(told)


def _calories(calories: float) -> str:
    if abs(calories) < 1:
        return "calories as before"
    return f"{abs(calories):.0f} kcal {'less' if calories < 0 else 'more'}"


def _at_equal_weight(told: Told, saved: float) -> str | None:
    """Return what is saved weight for weight, where much of what seems saved is a smaller portion."""
    lighter = 1 - told.totals_after.mass_g / told.totals_before.mass_g
    if lighter < SMALLER or saved <= NONE_G or told.saved.free_sugars_who_g > HARDLY * saved:
        return None
    left = max(told.saved.free_sugars_who_g, 0.0)
    return f"Much of that is a smaller {told.original.unit}: weight for weight it is {grams_text(left)} less."


def _refined(told: Told) -> Iterator[str]:
    """Give what is left of refined sugar, where there was some and the wish or the path is about it."""
    servings = told.original.servings
    old, new = told.totals_before.refined_sugar_g / servings, told.totals_after.refined_sugar_g / servings
    if old < NONE_G:
        return
    if new < NONE_G:
        # What vanilla or baking powder holds is none that sweetens.
        left = sum(_refined_in(line) for line in told.after.lines if is_cuttable(line, "refined_sugar_g"))
        yield f"Hardly any refined sugar: {grams_text(left)} in all." if left > 0 else "No refined sugar."
    elif told.goals.counted == "refined_sugar_g":
        yield f"Refined sugar left: {grams_text(new)} in each {told.original.unit}, {_where_it_is(told.after)}."


def _where_it_is(formula: Formula) -> str:
    """Return which food holds most of the refined sugar, or which two where no one holds most."""
    held: dict[str, float] = {}
    for line in formula.lines:
        name = line.ingredient.name.lower()
        held[name] = held.get(name, 0.0) + _refined_in(line)
    first, *others = sorted(held, key=lambda name: -held[name])
    if held[first] > MOST * sum(held.values()) or not others:
        return f"most of it in the {first}"
    return f"in the {first} and the {others[0]}" + (" above all" if len(others) > 1 and held[others[1]] else "")


# What is more than this of a whole is most of it [share].
MOST = 0.5


def _refined_in(line: FormulaLine) -> float:
    c = line.ingredient.per_100g
    return c.total_sugars_g * c.refined_share * line.grams


def _what_came_in(told: Told) -> Iterator[str]:
    """Give what is to be said of the kinds of sweetener that came in."""
    there = {line.ingredient.key for line in told.original.lines}
    new = [line.ingredient for line in told.after.lines if line.grams > 0 and line.ingredient.key not in there]
    if any(x.sugar_kind in ("unrefined", "concentrate") and x.per_100g.total_sugars_g > 30 for x in new):
        yield "Honey, syrups and coconut sugar are free sugars too."
    if any(x.sugar_kind == "puree" and x.per_100g.total_sugars_g > 5 for x in new):
        yield "The sugar of puréed fruit counts as free sugar in the UK."
    if any(x.per_100g.polyols_g + x.per_100g.allulose_g > 30 or x.per_100g.glycosides_g > 0 for x in new):
        yield "The new sweeteners may taste cool or bitter, and much of them at once upsets some stomachs."


def _sweetness(totals: Totals) -> float:
    return totals.sucrose_equivalent_g / totals.mass_g if totals.mass_g else 0.0
