"""The smallest change of a wish that can't be had, so that it can."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from math import ceil
from typing import Any

from sun_crumb.core.errors import CoreError
from sun_crumb.core.exploring.compare import point_of
from sun_crumb.core.exploring.tried import tried
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.recasting import possible_bases
from sun_crumb.core.rework.plan import Plan, rework
from sun_crumb.core.wish.goals import DEFINITIONS, Goals
from sun_crumb.core.wish.money import cost_of

SEARCH_STEPS = 2
Holds = Callable[[Goals], Plan | None]


@dataclass(frozen=True, slots=True)
class Relaxation:
    """One wish to change: which, the goals' new values by their field names, what is then reached, and how much it gives up.

    ``size`` orders them: the share of the wish that is given up.
    """

    goal: str
    changes: dict[str, Any]
    words: str
    size: float


def relaxations(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None = None) -> list[Relaxation]:
    """Return the changes that each by itself bring a wish into balance, the smallest first; empty where it is balanced.

    Tried are a smaller cut, less sweetness, one more sweetener, each lock or limit let go, and another sugar to count.
    Diets and allergens are never let go.

    Parameters
    ----------
    formula, goals, pantry, cup
        As for rework.

    Raises
    ------
    NothingToReworkError, OutOfDomainError
        As rework does.
    """
    plan = rework(formula, goals, pantry, cup)
    if is_held(plan):
        # What a diet rules out and nothing stands in for, another base may do without.
        return _on_another_base(formula, goals, pantry, cup) if _breaks_a_diet(plan) else []

    def holds(wish: Goals) -> Plan | None:
        found = rework(formula, wish, pantry, cup)
        return found if is_held(found) else None

    found = [
        *_less(goals, holds),
        *_with_help(formula, goals, pantry, holds),
        *_with_filler(formula, goals, pantry, holds),
        *_let_go(formula, goals, pantry, holds),
        *_without_limit(formula, goals, holds),
        *_as_usual(goals, holds),
        *_on_another_base(formula, goals, pantry, cup),
    ]
    return sorted(found or _together(goals, holds), key=lambda r: (round(r.size, 3), r.goal))


def _breaks_a_diet(plan: Plan) -> bool:
    return any(u.goal == "diet" for u in plan.unmet)


# So many bases are offered at most, and how much of a change one is beside a smaller cut (judgement).
MOST_BASES, BASE_SIZE = 2, 0.3


def _on_another_base(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None) -> list[Relaxation]:
    """Return the bases on which the whole wish can be had, where it stands on its own."""
    found: list[Relaxation] = []
    if goals.base is not None or goals.recasts:
        return found
    for base in possible_bases(formula, goals):
        try:
            plan = rework(formula, replace(goals, base=base.key), pantry, cup)
        except CoreError:
            continue
        if is_held(plan) and not _breaks_a_diet(plan):
            words = f"made {base.words}, the whole wish can be had"
            found.append(Relaxation("base", {"base": base.key}, words, BASE_SIZE))
        if len(found) == MOST_BASES:
            break
    return found


def is_held(plan: Plan) -> bool:
    """Return whether a plan is a way to have a wish: balanced, but for an oven that must be much milder."""
    return plan.status == "balanced" or {u.goal for u in plan.unmet} <= {"browning", "diet"}


def _less(goals: Goals, holds: Holds) -> Iterator[Relaxation]:
    """Give a smaller cut, and less sweetness."""
    if (cut := _largest_cut(goals, holds)) is not None:
        words = f"a cut of {100 * cut:.0f} % keeps everything else as asked"
        yield Relaxation("cut", {"cut": cut}, words, goals.wanted_cut - cut)
    for less in (0.05, 0.1, 0.15, 0.2, 0.3):
        keep = round(goals.wanted_sweetness - less, 2)
        if keep >= 0.3 and holds(replace(goals, keep_sweet=keep)):
            words = f"at {100 * keep:.0f} % of the sweetness the whole cut can be had"
            yield Relaxation("keep_sweet", {"keep_sweet": keep}, words, less)
            return


def _let_go(formula: Formula, goals: Goals, pantry: Pantry, holds: Holds) -> Iterator[Relaxation]:
    """Give each amount that the baker has set, let go."""
    for position in goals.locks:
        freed = {k: v for k, v in goals.locks.items() if k != position}
        if holds(replace(goals, locks=freed)):
            name = formula.lines[position].ingredient.name
            yield Relaxation("locks", {"locks": freed}, f"it can be had if {name} is let go", 0.1)
    for component, key, _ in goals.amounts:
        freed_amounts = tuple(a for a in goals.amounts if a[:2] != (component, key))
        if holds(replace(goals, amounts=freed_amounts)):
            name = pantry[key].name
            yield Relaxation("amounts", {"amounts": freed_amounts}, f"it can be had if {name} is let go", 0.1)


def _without_limit(formula: Formula, goals: Goals, holds: Holds) -> Iterator[Relaxation]:
    """Give each limit of a portion, as far as it would have to be."""
    for field, key, name in (
        ("most_energy_kcal", "energy_kcal", "kcal"),
        ("most_free_sugar_g", "free_sugars_who_g", "g of free sugar"),
    ):
        if getattr(goals, field) is not None:
            free: dict[str, Any] = {field: None}
            wish = replace(goals, **free)
            if loose := holds(wish):
                most = ceil(getattr(point_of(loose, wish), key))
                words = f"the limit would have to be {most} {name} in a portion"
                yield Relaxation(field, {field: most}, words, 0.2)
    if goals.most_cost is not None and (loose := holds(replace(goals, most_cost=None))):
        dear = ceil(100 * (cost_of(loose.after.lines, goals.prices) or 0.0) / formula.servings) / 100
        words = f"what is priced would have to cost {dear:.2f} in a portion"
        yield Relaxation("most_cost", {"most_cost": dear}, words, 0.2)


def _as_usual(goals: Goals, holds: Holds) -> Iterator[Relaxation]:
    """Give what the baker has set otherwise than the path or the dessert would, as usual; and another sugar to count."""
    if goals.most_new is not None and goals.most_new < goals.preset.most_new and holds(replace(goals, most_new=None)):
        words = f"with up to {goals.preset.most_new} new sweeteners it can be had"
        yield Relaxation("most_new", {"most_new": None}, words, 0.1)
    if goals.caps and holds(replace(goals, caps={})):
        yield Relaxation("caps", {"caps": {}}, "it can be had within the dessert's usual caps", 0.1)
    if (
        goals.counted != "refined_sugar_g"
        and "refined_only" in goals.preset.traits
        and holds(replace(goals, definition="refined_sugar_g"))
    ):
        words = f"it can be had of refined sugar only: {DEFINITIONS[goals.counted]} then falls less"
        yield Relaxation("definition", {"definition": "refined_sugar_g"}, words, 0.35)


def _together(goals: Goals, holds: Holds) -> list[Relaxation]:
    """Return what is possible where no single change is: less sweetness and a smaller cut, or nothing set by hand."""
    for less in (0.05, 0.1, 0.2, 0.3, 0.4):
        keep = round(goals.wanted_sweetness - less, 2)
        if keep < 0.3:
            break
        wish = replace(goals, keep_sweet=keep)
        if (cut := _largest_cut(wish, holds)) is not None:
            words = f"a cut of {100 * cut:.0f} % at {100 * keep:.0f} % of the sweetness can be had"
            return [Relaxation("cut", {"cut": cut, "keep_sweet": keep}, words, goals.wanted_cut - cut + less)]
    free: dict[str, Any] = {
        "locks": {},
        "amounts": (),
        "caps": {},
        "including": (),
        "most_energy_kcal": None,
        "most_free_sugar_g": None,
        "most_cost": None,
        # As sweet as the path would have it by itself.
        "keep_sweet": None,
    }
    if any(getattr(goals, name) for name in free if name != "keep_sweet"):
        wish = replace(goals, **free)
        if holds(wish):
            return [
                Relaxation(
                    "locks",
                    free,
                    "it can be had if nothing is set by hand, no limit is kept and it may be less sweet",
                    1.0,
                )
            ]
        if (cut := _largest_cut(wish, holds)) is not None:
            words = f"with nothing set by hand, no limit and as sweet as it then gets, a cut of {100 * cut:.0f} % can be had"
            return [Relaxation("locks", {**free, "cut": cut}, words, 1.0)]
    return []


def _largest_cut(goals: Goals, holds: Holds) -> float | None:
    """Return the largest cut in whole per cent that is balanced, or None where none is.

    Looked for from above in tenths of the wish, then by halving: a very small cut may be out of balance by the new
    sweetness that the path brings.
    """
    wanted = goals.wanted_cut
    for tenths in range(9, 0, -1):
        low, high = wanted * tenths / 10, wanted * (tenths + 1) / 10
        if not holds(replace(goals, cut=low)):
            continue
        for _ in range(SEARCH_STEPS):
            middle = (low + high) / 2
            low, high = (middle, high) if holds(replace(goals, cut=middle)) else (low, middle)
        return int(100 * low) / 100
    return None


def _with_filler(formula: Formula, goals: Goals, pantry: Pantry, holds: Holds) -> list[Relaxation]:
    """Return the filler that would take the place of the lost bulk, where few kitchens have it and none was asked for."""
    known = {line.ingredient.key for line in formula.lines}.union(goals.without, goals.including)
    for food in tried("fills", pantry):
        key = food.key
        if key in known or food.tags & goals.excluded:
            continue
        changes = {"including": [*goals.including, key]}
        if holds(replace(goals, including=(*goals.including, key))):
            words = f"with some {food.name}, a fibre that fills and hardly sweetens, the whole wish can be had"
            return [Relaxation("including", changes, words, 0.12)]
    return []


def _with_help(formula: Formula, goals: Goals, pantry: Pantry, holds: Holds) -> list[Relaxation]:
    """Return the one sweetener more that would make the wish possible, on the path that allows it."""
    present = {line.ingredient.key for line in formula.lines}
    for ingredient in tried("helps", pantry):
        key = ingredient.key
        usual = goals.preset.usual if goals.cupboard is None else goals.cupboard
        if key in usual or key in present or key in goals.without or ingredient.tags & goals.excluded:
            continue
        cupboard = (*usual[:2], key)
        # What the path's preset left open stays as the path had it.
        wish = replace(
            goals,
            path="blend",
            cut=goals.wanted_cut,
            keep_sweet=goals.wanted_sweetness,
            definition=goals.counted,
            cupboard=cupboard,
        )
        if holds(wish):
            changes = {
                "path": "blend",
                "cut": goals.wanted_cut,
                "keep_sweet": goals.wanted_sweetness,
                "definition": goals.counted,
                "cupboard": list(cupboard),
            }
            return [Relaxation("cupboard", changes, f"with some {ingredient.name} the whole wish can be had", 0.15)]
    return []
