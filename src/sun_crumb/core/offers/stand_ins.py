"""What takes the place of food that a diet or an allergy rules out, from stand_ins.csv (common practice)."""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import replace

from sun_crumb.core.balance import Family
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.moves import is_cuttable, move_of
from sun_crumb.core.pantry import Pantry, shipped_pantry
from sun_crumb.core.reference import rows_by
from sun_crumb.core.wish.goals import Goals


def must_go(line: FormulaLine, goals: Goals, family: Family) -> bool:
    """Return whether a line is to be left out: named so, or ruled out by a diet or an allergy and not sorely missed.

    Sweeteners are not: others take their place. Of the rest only what has a stand-in in this family goes.
    """
    ingredient = line.ingredient
    if ingredient.key in goals.without:
        return True
    return bool(ingredient.tags & goals.excluded) and (
        is_cuttable(line, "total_sugars_g") or stand_in_for(line, goals, family) is not None
    )


def stand_in_for(line: FormulaLine, goals: Goals, family: Family) -> tuple[str, dict[str, str]] | None:
    """Return what takes the place of a line that a diet or an allergy rules out, and its row of stand_ins.csv.

    None where nothing does, or where there is too much of it for that.
    """
    for row in rows_by("stand_ins", "foods").get(line.ingredient.key, ()):
        if row["families"] and not family.is_among(row["families"].split()):
            continue
        if row["most_g"] and line.grams > float(row["most_g"]):
            continue
        for key in row["stand_ins"].split():
            if key not in goals.without and not shipped_pantry()[key].tags & goals.excluded:
                return key, row
    return None


def no_stand_in(line: FormulaLine) -> str:
    """Return why nothing takes the place of a line that a diet rules out."""
    for row in rows_by("stand_ins", "foods").get(line.ingredient.key, ()):
        if row["most_g"] and line.grams > float(row["most_g"]):
            names = " or ".join(shipped_pantry()[key].name for key in row["stand_ins"].split())
            return f"{names} stands in for {float(row['most_g']):.0f} g at most"
    return "nothing here takes its place"


def stood_in(formula: Formula, family: Family, goals: Goals, pantry: Pantry, kept: Collection[int]) -> list[Addition]:
    """Return what takes the place of lines that a diet or an allergy rules out, as much of it as the kitchen would take."""
    found: dict[str, Addition] = {}
    for position, line in enumerate(formula.lines):
        is_left = position in kept or line.ingredient.key in goals.without or line.grams <= 0
        if is_left or not line.ingredient.tags & goals.excluded or is_cuttable(line, "total_sugars_g"):
            continue
        stand_in = stand_in_for(line, goals, family)
        if stand_in is None:
            continue
        key, row = stand_in
        amounts = {key: float(row["grams_per_gram"])}
        for beside in row["beside"].split():
            name, part = beside.split(":")
            amounts[name] = float(part)
        for other, share in amounts.items():
            # Butter in the batter and butter for the tin: one margarine.
            base = share * line.grams + (found[other].base_g if other in found else 0.0)
            taken = move_of(replace(line, ingredient=pantry[other], grams=base, text=""), goals.counted, family)
            move = None if taken is None or taken.is_cut or other != key else taken
            found[other] = Addition(
                pantry[other],
                "stand_in",
                0.0,
                None,
                move.penalty if move else 0.0,
                is_required=True,
                replaces=position,
                base_g=base,
                move=move,
                words=row["words"] if other == key else f"to sour the {pantry[key].name}",
            )
    return list(found.values())
