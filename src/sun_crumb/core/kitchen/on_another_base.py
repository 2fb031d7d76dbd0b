"""What another base asks of a method: the oven and the time of its pattern, and a batter that no longer pours."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import replace

from sun_crumb.core.method.oven import Baking
from sun_crumb.core.method.planned import RewrittenStep
from sun_crumb.core.method.records import MethodLine, MethodStep
from sun_crumb.core.recasting import Recasted

Notes = Callable[[MethodStep], Sequence[str]]

# What is done with a batter or a dough when it is ready.
_SHAPED = re.compile(
    r"\b(?:pour|scrape|spread|spoon|turn|tip|press|roll|pipe|fill|divide|drop|ladle|put|transfer|fold)\b", re.I
)
_POUR = re.compile(r"\bpour\b", re.I)
# A baking time changes by whole steps of so many minutes, one minute where it is short.
STEP_MIN, SHORT_MIN = 5, 20


def baked_on(baking: Baking, told: Recasted, minutes: tuple[int, int] | None) -> Baking:
    """Return what the oven is asked for on another base: the milder of what the plan and the base want, the base's time.

    Parameters
    ----------
    baking
        What the plan asks by its own figures.
    told
        The component on its base.
    minutes
        The original's baking time [min], None where it tells none.
    """
    lower = max(baking.lower_c, told.oven_lower_c)
    why = baking.why or (f"as {told.pattern_name} bakes" if lower or told.longer else "")
    if not minutes or not told.longer:
        return replace(baking, lower_c=lower, why=why)
    low, high = ((_minutes(m * (1 + told.longer))) for m in (baking.minutes or minutes))
    return replace(baking, lower_c=lower, minutes=(low, max(high, low)), before_minutes=minutes, why=why)


def _minutes(value: float) -> int:
    step = STEP_MIN if value >= SHORT_MIN else 1
    return max(int(step * round(value / step)), 1)


def _is_of(step: MethodStep, component: str, lines: Sequence[MethodLine]) -> bool:
    """Return whether a step handles a component: it uses a line of it, or, using none, stands in its part."""
    used = {lines[use.position].component for use in step.uses}
    return component in used if used else step.component == component


def shaping_step(steps: Sequence[MethodStep], component: str, lines: Sequence[MethodLine]) -> int | None:
    """Return which step shapes the batter of a component: the last that handles it before it is baked, None where none does.

    Parameters
    ----------
    steps
        The original's method.
    component
        The component's name.
    lines
        The original's lines, in their order.
    """
    mine = [s for s in steps if _is_of(s, component, lines)]
    end = next((n for n, s in enumerate(mine) if s.wait is not None and s.wait.kind == "bake"), len(mine) - 1)
    shaped = [s.n for s in mine[: end + 1] if _SHAPED.search(s.text)]
    return shaped[-1] if shaped else (mine[end].n if mine else None)


def with_batter(
    notes: Notes, told: Sequence[Recasted], steps: Sequence[MethodStep], lines: Sequence[MethodLine]
) -> Notes:
    """Return what is said of a step, with what a base asks of the batter where that is shaped."""
    at: dict[int, str] = {}
    for one in told:
        place = shaping_step(steps, one.component, lines)
        if one.batter and place is not None:
            at[place] = one.batter

    def said(step: MethodStep) -> Sequence[str]:
        return (*notes(step), *((at[step.n],) if step.n in at else ()))

    return said


def unpoured(
    found: Sequence[RewrittenStep],
    told: Sequence[Recasted],
    steps: Sequence[MethodStep],
    lines: Sequence[MethodLine],
) -> tuple[RewrittenStep, ...]:
    """Return rewritten steps that press, spread or spoon what no longer pours; *steps* and *lines* are the original's."""
    verbs: dict[str, str] = {}
    for one in told:
        place = shaping_step(steps, one.component, lines)
        for step in steps:
            if one.pour and (step.n == place or _is_of(step, one.component, lines)):
                verbs[step.text] = one.pour
    return tuple(_unpoured(one, verbs[one.was]) if one.was in verbs else one for one in found)


def _unpoured(one: RewrittenStep, verb: str) -> RewrittenStep:
    text = _POUR.sub(lambda m: verb.capitalize() if m[0][0].isupper() else verb, one.step.text)
    return one if text == one.step.text else replace(one, step=replace(one.step, text=text))
