"""Ways on from a weighing that is off: what each would do, in figures."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.errors import CoreError
from sun_crumb.core.kitchen.weighing import (
    Changed,
    as_weighed,
    is_off,
    longer_min,
    scaled,
    tolerance_g,
    totals_by_line,
)
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.rework import Plan, rework
from sun_crumb.services.bowl import Bowl, as_it_is, free_sugar, place_of
from sun_crumb.services.wishes import goals_of
from sun_crumb.services.worktop import DayFound


@dataclass(frozen=True, slots=True)
class Followed:
    """A line that a choice changes: how much before and after [g], in words; ``is_in`` where it is in the bowl already."""

    name: str
    before_g: float
    after_g: float
    told: str
    is_in: bool


@dataclass(frozen=True, slots=True)
class Choice:
    """A way on: *keep* all else as it is, *rebalance* by the plan's own rules, *scale* all of it, or *take_out*."""

    kind: str
    words: str
    changes: tuple[Followed, ...] = ()


@dataclass(frozen=True, slots=True)
class Question:
    """What is asked of a weighing that is off."""

    position: int
    step: int
    words: str
    choices: tuple[Choice, ...]


def question_of(bowl: Bowl) -> Question | None:
    """Return what is asked of the last weighing that is off, with what each choice would do."""
    if not bowl.asked:
        return None
    at = place_of(bowl.asked)
    target = next((t for t in bowl.now() if (t.position, t.step) == at), None)
    grams = bowl.weighed.get(at)
    if target is None or grams is None or not is_off(target.grams, grams):
        return None
    over = grams - target.grams
    name = bowl.name(at[0])
    choices = [Choice("keep", _kept_words(bowl, at))]
    balanced = rebalanced(bowl)
    if balanced:
        choices.append(_choice("rebalance", bowl, balanced, "Let the rest follow"))
    follow = scaled(bowl.now(), bowl.weighed, at)
    if follow and len(follow) <= MOST_TO_SCALE and LEAST_SCALE <= grams / target.grams <= MOST_SCALE:
        choices.append(_choice("scale", bowl, follow, f"{grams / target.grams:.2f} times all of it"))
    out = "Take it out" if over > 0 else "Add what is missing"
    choices.append(Choice("take_out", f"{out}: {grams_text(abs(over))}, and weigh again"))
    words = f"{name} is {grams_text(abs(over))} {'over' if over > 0 else 'short'}"
    return Question(*at, words, tuple(choices))


# More lines than this nobody weighs again for one slip.
MOST_TO_SCALE = 14
# Further than this the tin no longer fits (judgement).
LEAST_SCALE, MOST_SCALE = 0.8, 1.25


def _kept_words(bowl: Bowl, at: tuple[int, int]) -> str:
    """Return what keeping a weighing as it is does to a portion's sugar and to the baking time."""
    found = bowl.found
    position = at[0]
    before = as_weighed(found.after, {position: sum(t.grams for t in bowl.now() if t.position == position)})
    after = as_it_is(bowl)
    said = []
    sugar = free_sugar(after) - free_sugar(before)
    if abs(sugar) >= TOLD_SUGAR_G:
        said.append(f"a portion has {abs(sugar):.1f} g {'more' if sugar > 0 else 'less'} free sugar")
    component = found.planned[position].component
    old, new = (sum(x.grams for x in f.lines if x.component == component) for f in (before, after))
    minutes = longer_min(found.before.bake_minutes, old, new) if component == found.before.heaviest() else 0
    if minutes:
        said.append(f"bake about {abs(minutes)} min {'longer' if minutes > 0 else 'less'}")
    return "Keep it as it is" + (f": {', '.join(said)}" if said else "")


TOLD_SUGAR_G = 0.1


def _choice(kind: str, bowl: Bowl, changed: Sequence[Changed], words: str) -> Choice:
    changes = tuple(
        Followed(
            bowl.name(c.position), c.before_g, c.after_g, bowl.told(c.position, c.after_g), c.is_in
        )
        for c in changed
    )  # fmt: skip
    told = ", ".join(f"{c.name} {c.after_g - c.before_g:+.0f} g".replace("-", "−") for c in changes[:3])
    return Choice(kind, f"{words}: {told}{' and so on' if len(changes) > MOST_TOLD else ''}", changes)


MOST_TOLD = 3


def rebalanced(bowl: Bowl) -> list[Changed] | None:
    """Return what of the rest changes where the plan is solved again around what is in the bowl; None where no wish is kept or nothing changes.

    Nothing comes in that the plan has not, and what is in the bowl stays as it is.
    """
    found = bowl.found
    if found.goals is None:
        return None
    totals = totals_by_line(bowl.now(), bowl.weighed)
    plan = _solved_around(found, totals, bowl.pantry)
    if plan is None:
        return None
    known: dict[tuple[str, str], float] = {}
    by_place = {x.position: x.after_g for x in plan.lines if x.position is not None}
    for x in plan.lines:
        if x.position is None:
            known[x.component, x.ingredient] = x.after_g
    changed = []
    now_g: dict[int, float] = {}
    for t in bowl.now():
        now_g[t.position] = now_g.get(t.position, 0.0) + t.grams
    for position, before in now_g.items():
        line = found.planned[position]
        if position in totals:
            continue
        if line.position is not None:
            after = by_place.get(line.position, before)
        else:
            after = known.get((line.component, line.ingredient.key), 0.0)
        if abs(after - before) > max(tolerance_g(before) / 2, TOLD_CHANGE_G):
            changed.append(Changed(position, before, after))
    return changed or None


# A change of the rest below this is the grid of household measures, and no answer to what was weighed [g].
TOLD_CHANGE_G = 1.0


def _solved_around(found: DayFound, totals: Mapping[int, float], pantry: Pantry) -> Plan | None:
    """Return the plan solved again with *totals* [g] as they are; None where only a food from outside the plan would help."""
    assert found.goals is not None
    wished = goals_of(found.goals, pantry)
    locks = dict(wished.locks)
    amounts = {(component, key): grams for component, key, grams in wished.amounts}
    for position, grams in totals.items():
        line = found.planned[position]
        if line.position is not None:
            locks[line.position] = grams
        else:
            amounts[line.component, line.ingredient.key] = grams
    goals = replace(wished, locks=locks, amounts=tuple((c, k, g) for (c, k), g in amounts.items()))
    mine = {line.ingredient.key for line in found.planned}
    for _ in range(2):
        try:
            plan = rework(found.before, goals, pantry, found.cup)
        except CoreError:
            return None
        foreign = {x.ingredient for x in plan.lines if x.after_g > 0} - mine
        if not foreign:
            return plan
        goals = replace(goals, without=tuple(dict.fromkeys((*goals.without, *sorted(foreign)))))
    return None
