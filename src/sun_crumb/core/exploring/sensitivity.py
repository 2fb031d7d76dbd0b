"""What a little more of one goal costs in the others."""

from __future__ import annotations

from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace
from typing import Any

from sun_crumb.core.exploring.compare import FrontierPoint, point_of
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.rework.plan import Plan, rework
from sun_crumb.core.wish.goals import Goals

STATES = {"balanced": "in balance", "strained": "at the edge of its balance", "unmet": "not all of it can be had"}
# A step of sweetness that a taster notices, and one of the cut.
MORE_SWEET, MORE_CUT = 0.10, 0.10
MOST_SWEET, MOST_CUT = 1.3, 1.0
# Differences of a portion below these are none: free sugar [g], energy [kcal], share of the sweetness, share of the cut.
TOLD_SUGAR, TOLD_ENERGY, TOLD_SWEET, TOLD_CUT = 0.05, 1.0, 0.015, 0.02


@dataclass(frozen=True, slots=True)
class Nudge:
    """One goal a little further: which, the goals' new values by their field names, and what that costs, in words."""

    goal: str
    changes: dict[str, Any]
    words: str


def sensitivity(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None = None) -> list[Nudge]:
    """Return what a little more sweetness and a bigger cut cost beside the plan for *goals*; what can go no further is left out.

    Parameters
    ----------
    formula, goals, pantry, cup
        As for rework.

    Raises
    ------
    NothingToReworkError, OutOfDomainError
        As rework does.
    """
    trials: list[tuple[str, float, str]] = []
    if (keep := round(goals.wanted_sweetness + MORE_SWEET, 2)) <= MOST_SWEET:
        trials.append(("keep_sweet", keep, f"{100 * keep:.0f} % as sweet"))
    if goals.wanted_cut < MOST_CUT:
        cut = round(min(goals.wanted_cut + MORE_CUT, MOST_CUT), 2)
        trials.append(("cut", cut, f"a cut of {100 * cut:.0f} %"))

    def made(wish: Goals) -> Plan:
        return rework(formula, wish, pantry, cup)

    wishes = [goals]
    for goal, value, _ in trials:
        changes: dict[str, Any] = {goal: value}
        wishes.append(replace(goals, **changes))
    with ThreadPoolExecutor(2) as pool:
        base, *plans = pool.map(made, wishes)
    here = point_of(base, goals)
    found = []
    for (goal, value, name), wish, plan in zip(trials, wishes[1:], plans, strict=True):
        words = _told(goal, here, point_of(plan, wish), base, plan)
        found.append(Nudge(goal, {goal: value}, f"{name}: {words}"))
    return found


def _told(goal: str, here: FrontierPoint, there: FrontierPoint, base: Plan, plan: Plan) -> str:
    short = there.reached - here.reached < TOLD_CUT if goal == "cut" else there.sweetness - here.sweetness < TOLD_SWEET
    if short:
        if there.status == "unmet":
            return "no more can be had"
        return "hardly moves: few could taste the difference" if goal == "keep_sweet" else "hardly moves"
    amounts, parts = [], []
    sugar, energy = there.free_sugars_who_g - here.free_sugars_who_g, there.energy_kcal - here.energy_kcal
    if abs(sugar) >= TOLD_SUGAR:
        amounts.append(f"{grams_text(abs(sugar))} {_more(sugar)} free sugar")
    if abs(energy) >= TOLD_ENERGY:
        amounts.append(f"{abs(energy):.0f} kcal {_more(energy)}")
    if amounts:
        parts.append(f"{' and '.join(amounts)} in each {plan.after.unit}")
    sweet = there.sweetness - here.sweetness
    if goal == "cut" and abs(sweet) >= TOLD_SWEET:
        parts.append(f"{100 * abs(sweet):.0f} % {'less sweet' if sweet < 0 else 'sweeter'}")
    held = {line.ingredient for line in base.lines}
    new = [line.name.lower() for line in plan.lines if line.position is None and line.ingredient not in held]
    if new:
        parts.append(f"with {' and '.join(dict.fromkeys(new))}")
    if there.status != here.status:
        where = f" ({there.off_in.lower()})" if there.status != "balanced" and there.off_by > 1 else ""
        parts.append(STATES[there.status] + where)
    return "; ".join(parts) or "costs nothing worth telling"


def _more(difference: float) -> str:
    return "more" if difference > 0 else "less"
