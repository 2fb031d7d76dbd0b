"""A plan on another base told against the original: its lines by the original's places, and the words for the base."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import replace

from sun_crumb.core.doubt.likely import least_ratio
from sun_crumb.core.formula import Formula, total
from sun_crumb.core.formula.told import told_amount
from sun_crumb.core.offers.moves import counted_per_gram, is_cuttable
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.recasting import Recast
from sun_crumb.core.recasting.bases import bases
from sun_crumb.core.recasting.recast import is_ruled_out
from sun_crumb.core.rework.plan_line import PlanLine
from sun_crumb.core.telling.unmet import ComponentBalance, Unmet
from sun_crumb.core.wish.goals import DEFINITIONS, Goals

# Less than this is no change of a line [g].
SAME_G = 0.005


def base_words(other: Recast | None) -> str:
    """Return on what a plan stands, as the first words of its headline; empty where it stands on its own."""
    if other is None:
        return ""
    several = len(other.formula.components) > 1
    if not several:
        return f"Made {other.told[0].words}. "
    return "".join(f"{(x.component or 'base').capitalize()}: made {x.words}. " for x in other.told)


def batter_words(other: Recast | None) -> list[str]:
    """Return what another base asks of the hands, and what it can't give."""
    if other is None:
        return []
    return [text for x in other.told for text in (x.batter, x.cannot) if text] + list(_still_there(other))


def _still_there(other: Recast) -> Iterator[str]:
    """Give what the other parts hold still of what the base does without: a gluten-free crust makes no gluten-free cheesecake."""
    made = {x.component for x in other.told}
    for base in dict.fromkeys(bases()[x.base] for x in other.told if x.base):
        if base.without not in ("gluten", "egg"):
            continue  # of sugar the plan itself tells
        for component in other.formula.components:
            held = [x for x in other.formula.lines if x.component == component and is_ruled_out(base, x)]
            if held and component not in made:
                name = max(held, key=lambda x: x.grams).ingredient.name.lower()
                yield f"{(component or 'base').capitalize()}: {name} stays in it, so the whole is not {base.words}."


def less_sweet(
    other: Recast | None, goals: Goals, formula: Formula, after: Formula, balances: Iterable[ComponentBalance]
) -> list[Unmet]:
    """Return where a base bears less sweetness than was asked, in words, where its balance does not say so already."""
    found: list[Unmet] = []
    if other is None:
        return found
    said = {b.component for b in balances if any(v.key == "sweetness" and v.level != "balanced" for v in b.verdicts)}
    for told in (one for one in other.told if one.component not in said):
        old, new = (_sweetness(f, told.component) for f in (formula, after))
        reached = new / old if old else 1.0
        if other.references[told.component].as_sweet < 1 and reached < least_ratio(goals.wanted_sweetness):
            what = f"the {told.component or 'base'}" if len(formula.components) > 1 else "it"
            words = (
                f"{told.words} {what} tastes {100 * reached:.0f} % as sweet: more would not go with this base; "
                f"{100 * goals.wanted_sweetness:.0f} % was asked"
            )
            found.append(Unmet("sweetness", goals.wanted_sweetness, round(reached, 4), words))
    return found


def _sweetness(formula: Formula, component: str) -> float:
    totals = total([x for x in formula.lines if x.component == component])
    return totals.sucrose_equivalent_g / totals.mass_g if totals.mass_g else 0.0


def as_of_original(
    lines: Iterable[PlanLine], formula: Formula, other: Recast, cup: CupStandard
) -> tuple[PlanLine, ...]:
    """Return a recast's plan lines by the original's places: what was before, what is gone, and why.

    Parameters
    ----------
    lines
        The plan's lines by the recast's places.
    formula
        The original.
    other
        The recast.
    cup
        The cup standard that amounts are told in.
    """
    placed: list[tuple[float, PlanLine]] = []
    for line in lines:
        here = line.position
        origin = other.origins[here] if here is not None else None
        if here is None:
            placed.append((_last(formula, line.component), line))
        elif origin is None:
            placed.append((_beside(other, formula, here) + 0.5, _as_new(line, other, here)))
        else:
            placed.append((origin, _as_there(line, formula, other, origin, cup)))
    placed += [(place, _as_gone(formula, place, why, cup)) for place, why in other.gone.items()]
    return tuple(line for _, line in sorted(placed, key=lambda pair: pair[0]) if line.before_g or line.after_g)


def _as_new(line: PlanLine, other: Recast, here: int) -> PlanLine:
    """Return a line that the base brings: it was not there before."""
    moved = abs(line.after_g - line.before_g) > SAME_G
    why = other.why[here]
    reason = f"{why}; {line.reason}" if moved and line.reason and not line.is_locked else line.reason or why
    return replace(line, position=None, before_g=0.0, household_before="", reason=reason)


def _as_there(line: PlanLine, formula: Formula, other: Recast, origin: int, cup: CupStandard) -> PlanLine:
    """Return a line of the original: before as it was there, and why it changes."""
    old = formula.lines[origin]
    before = told_amount(formula, old, old.grams, cup)[0]
    begun = line.before_g
    reason = line.reason
    if abs(line.after_g - old.grams) <= SAME_G:
        reason = ""
    elif is_cuttable(old, other.goals.counted) and not line.is_locked:
        reason = _cut_words(old.grams - line.after_g, counted_per_gram(old, other.goals.counted), other)
    elif not line.is_locked and abs(begun - old.grams) > SAME_G:
        why = other.why[line.position or 0]
        # What the solver adds to it goes the same way, or is told beside it.
        same = (begun - old.grams) * (line.after_g - begun) >= 0
        reason = why if same or not line.reason else f"{why}; {line.reason}"
    return replace(
        line,
        position=origin,
        before_g=old.grams,
        household_before=before,
        household=before if abs(line.after_g - old.grams) <= SAME_G else line.household,
        reason=reason,
    )


def _cut_words(grams: float, per_gram: float, other: Recast) -> str:
    formula = other.formula
    if grams < 0:
        return "this base wants more of it"
    saved = grams * per_gram / formula.servings
    return f"the cut asked for: {grams_text(saved)} less {DEFINITIONS[other.goals.counted]} in each {formula.unit}"


def _as_gone(formula: Formula, place: int, why: str, cup: CupStandard) -> PlanLine:
    line = formula.lines[place]
    return PlanLine(
        position=place,
        component=line.component,
        ingredient=line.ingredient.key,
        name=line.ingredient.name,
        before_g=line.grams,
        after_g=0.0,
        household_before=told_amount(formula, line, line.grams, cup)[0],
        household="none",
        reason=why,
        is_locked=False,
        step_g=5.0,
    )


def _last(formula: Formula, component: str) -> float:
    """Return where what came in besides stands: after the last line of its component."""
    return max((n for n, x in enumerate(formula.lines) if x.component == component), default=0) + 0.8


def _beside(other: Recast, formula: Formula, here: int) -> float:
    """Return beside which of the original's lines a new one stands: the heaviest of those that went from its component."""
    component = other.formula.lines[here].component
    gone = [n for n in other.gone if formula.lines[n].component == component]
    if gone:
        return max(gone, key=lambda n: formula.lines[n].grams)
    return _last(formula, component)
