"""Bought sweet things that may make way for a less sweet kind, gram for gram, from levers.csv (common practice)."""

from __future__ import annotations

from collections.abc import Collection, Iterator

from sun_crumb.core.balance import Family
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.offers.moves import counted_per_gram
from sun_crumb.core.pantry import Ingredient, shipped_pantry
from sun_crumb.core.reference import rows_by
from sun_crumb.core.wish.goals import Goals

# So much juice for so much condensed milk sets it [share] (common practice).
SETS_BY_ACID = 0.15
# What a swap must take out of 100 g to be worth it [g of sugar].
LEAST_G = 10.0


def lever_of(
    line: FormulaLine, goals: Goals, family: Family, present: Collection[str] = ()
) -> tuple[Ingredient, dict[str, str]] | None:
    """Return what a line may make way for, and its row of levers.csv; None where there is nothing, or the path takes none.

    Nothing that is *present* already, only what holds much less of the sugar that is cut, and what nobody at the table rules out.
    """
    if "swaps" not in goals.preset.traits or line.grams <= 0:
        return None
    rows = rows_by("levers", "foods").get(line.ingredient.key, ())
    return next((lever for row in rows if (lever := _lever(row, line, goals, family, present))), None)


def _lever(
    row: dict[str, str], line: FormulaLine, goals: Goals, family: Family, present: Collection[str]
) -> tuple[Ingredient, dict[str, str]] | None:
    if row["families"] and not family.is_among(row["families"].split()):
        return None
    if line.ingredient.has_role("flour") and not row["families"]:
        return None
    fits = (shipped_pantry()[key] for key in row["instead"].split())
    ok = (x for x in fits if not x.tags & goals.excluded and x.key not in goals.without and x.key not in present)
    instead = next(ok, None)
    if instead is None:
        return None
    there = FormulaLine(instead, line.grams, line.component)
    saved = counted_per_gram(line, goals.counted) - counted_per_gram(there, goals.counted)
    return (instead, row) if 100 * saved > LEAST_G else None


def levers_in(
    lines: tuple[FormulaLine, ...], goals: Goals, family: Family, present: Collection[str]
) -> Iterator[tuple[int, Ingredient, dict[str, str]]]:
    """Give each line of a component that may make way, by its position."""
    sour = sum(line.grams for line in lines if line.ingredient.has_role("acid"))
    for n, line in enumerate(lines):
        is_what_sets = sour > SETS_BY_ACID * line.grams or "boiled" in family.traits
        if line.ingredient.key == "condensed_milk" and is_what_sets:
            continue  # a lime pie sets by its condensed milk and its juice, a toffee by boiling it down
        if found := lever_of(line, goals, family, present):
            yield n, *found
