"""What a changed recipe asks of the kitchen: oven, time, rest, pieces, keeping; and what else one could make."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from math import ceil, floor

from sun_crumb.core.balance import Family, Verdict
from sun_crumb.core.balance.water_activity import crumb_activity
from sun_crumb.core.formula import Formula, FormulaLine, Totals
from sun_crumb.core.method.around import REST_MIN
from sun_crumb.core.method.oven import first_look
from sun_crumb.core.offers.moves import is_cuttable
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.nouns import plural
from sun_crumb.core.reference import constant
from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.solving.rules import MOST_DISSOLVED, is_ground
from sun_crumb.core.telling.baking import is_wetter, longer
from sun_crumb.core.telling.unmet import Unmet
from sun_crumb.core.wish.goals import Goals

# What a difference must come to before it is told (common practice).
TOLD_MASS, TOLD_ACTIVITY, TOLD_SUGAR = 0.05, 0.006, 0.7
# Of so little water a coat of sugar is dry [share of its mass] (judgement).
DRY = 0.03


def consequences(problem: Problem, grams: list[float], verdicts: list[Verdict], *, is_main: bool = True) -> list[str]:
    """Return what to do otherwise with one component at these amounts, in sentences; the main one makes the pieces."""
    family, formula = problem.family, problem.formula
    after, before, lines = problem.quantities_at(grams), problem.before, problem.lines_at(grams)
    added = [r.line.ingredient for r, g in zip(problem.rows, grams, strict=True) if r.addition is not None and g > 0]
    found = list(_in_the_oven(problem, after, verdicts, added)) if family.browns else []
    erythritol = _held([x for x in lines if x.ingredient.key != "powdered_erythritol"], "erythritol_g")
    # Cinnamon sugar that is rolled in stays crystals, as the sugar does.
    is_dry = after["water"] < DRY * after["mass"] and not _is_for_icing_sugar(problem, grams)
    if is_ground(family, formula.lines) and erythritol > MOST_DISSOLVED * after["water"] and not is_dry:
        found.append(
            "Grind the erythritol as fine as icing sugar first: it doesn't dissolve here and would stay gritty."
        )
    elif erythritol > 0 and not is_dry and "no_oven" in family.traits and _is_for_icing_sugar(problem, grams):
        found.append("Grind the erythritol as fine as the icing sugar that it stands for: it is beaten in cold.")
    found += _half_eggs(lines, formula)
    rises = any(x.ingredient.has_role("leaven") and x.ingredient.key.endswith("yeast") for x in formula.lines)
    if rises and _held(lines, "total_sugars_g") < TOLD_SUGAR * _held(formula.lines, "total_sugars_g"):
        found.append("Less sugar, and yeast works sooner: go by the dough's size, not by the clock.")
    if "boiled" in family.traits:
        found += _stage(before, after, added, is_bare=_is_bare(formula))
    found += _in_the_tin(after["mass"] / before["mass"], formula, is_main=is_main)
    found += _keeping(lines, formula, family)
    return found


def _is_for_icing_sugar(problem: Problem, grams: list[float]) -> bool:
    """Return whether most of the sugar that goes is icing sugar, and an erythritol comes in for it."""
    gone = [
        (row.line.ingredient.key, row.untouched_g - g) for row, g in zip(problem.rows, grams, strict=True) if row.is_cut
    ]
    fine = sum(g for key, g in gone if key == "icing_sugar")
    comes = any(
        row.addition is not None and g > 0 and row.line.ingredient.per_100g.erythritol_g > 0
        for row, g in zip(problem.rows, grams, strict=True)
    )
    return comes and fine > 0.5 * sum(g for _, g in gone)


def _in_the_oven(
    problem: Problem, after: dict[str, float], verdicts: list[Verdict], added: list[Ingredient]
) -> Iterator[str]:
    """Give what the oven needs to know: colour, water, what drinks slowly."""
    formula, before = problem.formula, problem.before
    wet = is_wetter(before, after)
    if oven := _oven(verdicts, formula, problem.family, looks=not wet):
        yield oven
    if wet:
        wetter = after["water"] / after["mass"] - before["water"] / before["mass"]
        yield f"{100 * wetter:.0f} g more water in every 100 g of batter: allow {_longer(formula, problem.family)}, and trust the skewer."
    if any("thirsty" in a.traits for a in added):
        yield f"Let the batter rest {REST_MIN} minutes before the tin: what was added drinks slowly."


def _half_eggs(lines: Iterable[FormulaLine], formula: Formula) -> Iterator[str]:
    """Give how a part of an egg is weighed, where the original has none."""
    old = {x.grams for x in formula.lines if x.ingredient.key == "egg"}
    for line in lines:
        each = line.ingredient.measure("each") if line.ingredient.key == "egg" else None
        if each and abs(line.grams / each.grams - round(line.grams / each.grams)) > 0.02:
            if line.grams not in old:
                yield f"{grams_text(line.grams)} of egg: beat one, and weigh its part."
            return


def _in_the_tin(ratio: float, formula: Formula, *, is_main: bool) -> Iterator[str]:
    """Give what more or less of a component means for tin and pieces; *ratio* is of its masses."""
    if abs(ratio - 1) <= TOLD_MASS:
        return
    pieces = floor(formula.servings * ratio + 0.5)
    much = f"{100 * abs(ratio - 1):.0f} % {'more' if ratio > 1 else 'less'}"
    if not is_main:
        yield f"{much} of it for the same {formula.servings} {plural(formula.unit, formula.servings)}."
    elif pieces != formula.servings:
        yield f"{much} in the tin or bowl: {pieces} {plural(formula.unit)} of the old size instead of {formula.servings}."


def _keeping(lines: list[FormulaLine], formula: Formula, family: Family) -> Iterator[str]:
    """Give how keeping changes with the freedom of the crumb's water."""
    old_activity = None if "keeps" in family.traits else crumb_activity(formula.lines)
    new_activity = crumb_activity(lines) if old_activity else None
    if old_activity and new_activity and new_activity - old_activity > TOLD_ACTIVITY:
        yield (
            f"Keeps less long than the original: its water is freer (activity about {old_activity:.3f} before, "
            f"{new_activity:.3f} after, an estimate). Fridge or freezer sooner."
        )


def _is_bare(formula: Formula) -> bool:
    """Return whether a caramel is sugar and water alone: it goes by its colour, as in a flan, and never stops at a soft ball."""
    return all(
        line.ingredient.has_role("sugar", "syrup", "acid", "salt") or line.ingredient.key == "water"
        for line in formula.lines
    )


def _stage(
    before: dict[str, float], after: dict[str, float], added: list[Ingredient], *, is_bare: bool = False
) -> list[str]:
    """Return where the soft ball now lies on the thermometer, unless what is boiled is *bare* sugar, and what catches.

    The boiling point rises with the moles dissolved in the water that is left (Raoult's law, an estimate at such strength):
    smaller sugars boil higher at the same softness.
    """
    told = []
    moles = after["freezing"] / after["bulk"] / (before["freezing"] / before["bulk"]) if after["bulk"] else 1.0
    ball = constant("soft_ball_c")
    now = 100 + (ball - 100) * moles
    if abs(now - ball) >= 1 and not is_bare:
        told.append(
            f"A soft ball, {ball:.0f} °C with white sugar, lies at about {now:.0f} °C ({1.8 * now + 32:.0f} °F) with what is "
            "dissolved now, an estimate: try a drop in cold water."
        )
    if catches := [i.name.lower() for i in added if "scorches" in i.traits]:
        told.append(f"Sooner scorched than white sugar: {' and '.join(catches)}. Mild heat, thermometer and nose.")
    return told


def _oven(verdicts: Iterable[Verdict], formula: Formula, family: Family, *, looks: bool = True) -> str | None:
    """Return what to do with the oven, or None where the browning stays near the original's; when one *looks* where it isn't wetter and takes no longer."""
    browning = next((v for v in verdicts if v.key == "browning"), None)
    if browning is None or browning.level == "balanced":
        return None
    times = f"{browning.deviation + 1:.1f}" if browning.deviation < 9 else "over 10"
    drop, why = constant("browning_drop_c"), f"Browns sooner ({times} times the reducing sugar)"
    if family.is_in_a_pan:
        return f"{why}: a milder heat under the pan, and turn sooner."
    setting = f"{drop:.0f} °C (25 °F) lower"
    if formula.oven is not None:
        now = formula.oven.temperature_c
        fan = " with the fan" if formula.oven.is_fan else ""
        setting = f"at {_degrees(now - drop)} instead of {_degrees(now)}{fan}"
    minute = (
        "5 minutes earlier" if formula.bake_minutes is None else f"from minute {first_look(formula.bake_minutes[0])}"
    )
    look = f", look {minute}" if looks else ""
    return f"{why}: oven {setting}{look}; foil over the top if it is dark before it is done."


def _degrees(celsius: float) -> str:
    """Return a temperature as dials show it: to 5 °C, and to 25 °F."""
    return f"{5 * round(celsius / 5):.0f} °C ({25 * round((celsius * 1.8 + 32) / 25):.0f} °F)"


def _longer(formula: Formula, family: Family) -> str:
    if family.is_in_a_pan:
        return "a little longer"
    if formula.bake_minutes is None:
        return "5 to 10 minutes more"
    low, high = formula.bake_minutes
    more, most = longer(formula.bake_minutes)
    return f"{more} to {most} minutes instead of {low if low == high else f'{low} to {high}'}"


def _held(lines: Iterable[FormulaLine], name: str) -> float:
    """Return how much of one of the Composition's masses *lines* hold [g]."""
    return sum(float(getattr(line.ingredient.per_100g, name)) * line.grams / 100 for line in lines)


# Of a piece that is less than half of what it was nobody says that it would do (judgement).
MOST_PIECES = 2


def instead(
    before: Totals,
    after: Totals,
    lines: Iterable[FormulaLine],
    servings: int,
    goals: Goals,
    unmet: list[Unmet],
    found: list[Family],
) -> list[str]:
    """Return the nearest things that can be had where the cut can't, in sentences.

    *before* and *after* are the batches' totals, *lines* what the reworked one holds.
    """
    short = next((u for u in unmet if u.goal == "cut"), None)
    if short is None:
        return []
    told = []
    wanted = (1 - goals.wanted_cut) * getattr(before, goals.counted) / servings
    if wanted > 0:
        pieces = ceil(getattr(after, goals.counted) / wanted - 0.05)
    if wanted > 0 and pieces <= MOST_PIECES * servings:
        told.append(
            f"A smaller piece would: {grams_text(after.mass_g / pieces)} instead of "
            f"{grams_text(before.mass_g / servings)}, {pieces} from the batch instead of {servings}."
        )
    # Sugar that can't be cut at all, as a chocolate's, is none that holds the dessert up.
    is_floor = any(is_cuttable(line, goals.counted) for line in lines if line.grams > 0)
    for family in found if is_floor else ():
        if family.why_floor and family.why_floor not in told:
            told.append(family.why_floor)
            if family.instead:
                told.append(f"Another way: {family.instead}.")
    return told
