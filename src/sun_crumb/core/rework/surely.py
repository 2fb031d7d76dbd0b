"""A wish asked a little more of, so that it holds as often as the baker wants with amounts and foods as uncertain as they are."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from math import exp, log

from sun_crumb.core.doubt import Spread, spread_of_portions
from sun_crumb.core.doubt.likely import least_ratio, ratio_sd
from sun_crumb.core.doubt.normal import chance_below, quantile
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry.household import household
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.rework.plan_line import PlanLine
from sun_crumb.core.telling.unmet import Unmet
from sun_crumb.core.wish.goals import Goals

# Room for what rounding to spoons moves, as a part of the doubt.
ROUNDED = 1.1
# A limit or a cut that nothing moves is held by this much room [share].
LEAST_ROOM = 1e-6


def told_amounts(after: Formula, lines: Sequence[PlanLine], cup: CupStandard) -> list[str | None]:
    """Return how each amount of a plan's formula is told; None where its line is as it was, and its own words hold."""
    same = {(x.component, x.ingredient, round(x.after_g, 1)) for x in lines if x.before_g == x.after_g}
    told: list[str | None] = []
    for line in after.lines:
        if (line.component, line.ingredient.key, round(line.grams, 1)) in same:
            told.append(None)
        elif after.weighs(line):
            told.append(f"{line.grams:g} g")
        else:
            told.append(household(line.ingredient, line.grams, cup))
    return told


def spreads(
    before: Formula, after: Formula, lines: Sequence[PlanLine], cup: CupStandard, learned: dict[str, float]
) -> tuple[Spread, Spread]:
    """Return the doubts of the original and of a plan."""
    return (
        spread_of_portions(before, learned=learned),
        spread_of_portions(after, told_amounts(after, lines, cup), learned),
    )


def asked_for_sure(goals: Goals, before: Spread, after: Spread, servings: int) -> Goals:
    """Return the wish that holds by the figures where *goals* is to hold with its confidence: each goal moved by its own doubt.

    Parameters
    ----------
    goals
        The wish, with its confidence.
    before, after
        The doubts of the original and of a plan near the one that is looked for.
    servings
        How many portions both make.

    Notes
    -----
    The doubt is taken where *after* is; from there the chance constraint is linear in what is asked.
    """
    assert goals.confidence is not None
    out = quantile(goals.confidence)
    changes: dict[str, float | None] = {}
    if goals.wanted_cut < 1:
        left = (1 - goals.wanted_cut) * exp(-out * ratio_sd(before, after, goals.counted))
        changes["cut"] = min(1 - left, 1.0)
    # A plan may come out below what is asked by all that a tongue does not tell: that much is asked above it.
    room = exp(out * ratio_sd(before, after, "sucrose_equivalent_g", "mass_g"))
    changes["keep_sweet"] = min(goals.wanted_sweetness * room, 1.3)
    for name, figure in (("most_energy_kcal", "energy_kcal"), ("most_free_sugar_g", "free_sugars_who_g")):
        most = getattr(goals, name)
        if most is not None:
            changes[name] = max(
                most - ROUNDED * out * after.sd(figure) / servings, 0.0 if figure != "energy_kcal" else 1.0
            )
    return replace(goals, confidence=None, **changes)  # type: ignore[arg-type]


def not_so_sure(goals: Goals, before: Spread, after: Spread, servings: int) -> list[Unmet]:
    """Return the goals that hold less often than was asked, in words."""
    assert goals.confidence is not None
    found = []
    for words, chance in _chances(goals, before, after, servings):
        if chance < goals.confidence - TOLERANCE:
            often = f"{words} {_often(chance)}; {_often(goals.confidence)} was asked"
            found.append(Unmet("confidence", goals.confidence, round(chance, 4), often))
    return found


# How much less often than asked is as often: what a spoon moves [share].
TOLERANCE = 0.03


def _often(chance: float) -> str:
    return f"{100 * chance:.0f} times in 100"


def _chances(goals: Goals, before: Spread, after: Spread, servings: int) -> list[tuple[str, float]]:
    """Return of each goal the words for it, and how likely it holds."""
    found = []
    one, two = (getattr(s.totals, goals.counted) for s in (before, after))
    if one > 0 and two > 0 and goals.wanted_cut < 1:
        sd = ratio_sd(before, after, goals.counted)
        found.append(("the cut holds", chance_below(log(two / one), log(1 - goals.wanted_cut + LEAST_ROOM), sd)))
    sweet = [s.totals.sucrose_equivalent_g / s.totals.mass_g for s in (before, after) if s.totals.mass_g]
    if len(sweet) == 2 and min(sweet) > 0:
        sd = ratio_sd(before, after, "sucrose_equivalent_g", "mass_g")
        least = log(least_ratio(goals.wanted_sweetness))
        found.append(("it is as sweet as asked", 1 - chance_below(log(sweet[1] / sweet[0]), least, sd)))
    for name, figure, words in (
        ("most_energy_kcal", "energy_kcal", "a portion stays below the energy asked"),
        ("most_free_sugar_g", "free_sugars_who_g", "a portion stays below the free sugar asked"),
    ):
        most = getattr(goals, name)
        if most is not None:
            held = getattr(after.totals, figure) / servings
            found.append((words, chance_below(held, most + LEAST_ROOM, after.sd(figure) / servings)))
    return found
