"""What stands around a plan's own steps: what must be made first, a rest for what drinks slowly, the numbers anew."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import replace

from sun_crumb.core.method.planned import Amount, PlannedLine, Preparation, RewrittenStep, as_said, named
from sun_crumb.core.method.records import MethodStep, Use, Wait
from sun_crumb.core.method.wording import listed


def with_preparations(
    found: list[RewrittenStep], plan: Sequence[PlannedLine], preparations: Mapping[tuple[str, str], Preparation]
) -> list[RewrittenStep]:
    """Return the steps with those before them in which something is made."""
    steps = list(found)
    for k, line in enumerate(plan):
        if line.grams <= 0 or line.position is not None or (line.component, line.ingredient.key) not in preparations:
            continue
        made = preparations[line.component, line.ingredient.key]
        at = next((n for n, s in enumerate(steps) if any(a.line == k for a in s.amounts)), None)
        if at is None:
            continue
        wait = Wait("soak", made.wait_min, made.wait_min) if made.wait_min else None
        new = MethodStep(
            n=0, text=made.words, component=line.component, uses=(), wait=wait, temperature_c=None, hands_on_minutes=made.hands_on, equipment=(), until="", after=(), origin=(), makes=line.ingredient.name
        )  # fmt: skip
        steps.insert(at, RewrittenStep(new, "", (), (), True))
    return steps


# What goes on when the rest is done.
_ON_TOP = re.compile(
    r"\b(?:drizzle|icing|glaze|frosting|buttercream|sauce|to (?:serve|finish|decorate|dust|garnish))\b", re.I
)
# "100 g icing sugar + 2 tbsp lime juice, stirred and spooned over the cold loaf"
_DONE_WITH_IT = re.compile(
    r",\s*((?:stirred|mixed|whisked|beaten|melted|boiled|warmed|sifted|whipped)\b[^,;]*\b(?:and|then|over|on)\b.*)$",
    re.I,
)


def with_untold(
    found: list[RewrittenStep], untold: Mapping[str, Sequence[Amount]], said: Mapping[str, str]
) -> list[RewrittenStep]:
    """Return the steps with one for each component that the method says nothing of: its amounts stand somewhere.

    It stands before the first bake, and last where it is laid on in the end. *said* are the words of a component's last line: what is done
    with it may stand there.
    """
    steps = list(found)
    bake = next((n for n, s in enumerate(steps) if s.step.wait is not None and s.step.wait.kind == "bake"), 0)
    for component, amounts in untold.items():
        at = len(steps) if _ON_TOP.search(component) else bake
        told = listed(f"{as_said(a.told)} {named(a.name, a.told)}" for a in amounts)
        done = _DONE_WITH_IT.search(said.get(component, ""))
        aim = component.capitalize() if component.startswith("to ") else f"For the {component or 'base'}"
        text = f"{aim}: {', '.join([told, *([done[1].rstrip('.')] if done else [])])}."
        uses = tuple(Use(a.line, a.share, a.grams) for a in amounts)
        new = MethodStep(
            n=0, text=text, component=component, uses=uses, wait=None, temperature_c=None, hands_on_minutes=(5, 10), equipment=("bowl",), until="", after=(), origin=(), makes=component
        )  # fmt: skip
        steps.insert(at, RewrittenStep(new, "", tuple(amounts), (), True))
    return steps


# What drinks slowly wants so long before the tin [min] (common practice).
REST_MIN = 10


def with_rest(found: list[RewrittenStep], plan: Sequence[PlannedLine]) -> list[RewrittenStep]:
    """Return the steps with a rest behind the last that uses something new that drinks slowly."""
    steps = list(found)
    thirsty = {
        k
        for k, line in enumerate(plan)
        if line.position is None and line.grams > 0 and "thirsty" in line.ingredient.traits
    }
    at = max((n for n, s in enumerate(steps) if any(a.line in thirsty for a in s.amounts)), default=None)
    if at is None or steps[at].step.wait is not None:
        return steps
    before = steps[at].step
    rest = replace(
        before,
        n=0,
        text=f"Let it rest {REST_MIN} minutes: what came in drinks slowly.",
        uses=(),
        wait=Wait("rest", REST_MIN, REST_MIN),
        hands_on_minutes=(1, 1),
        equipment=(),
        until="",
        after=(before.n,),
        origin=(),
        makes="",
        mentions=(),
    )
    steps.insert(at + 1, RewrittenStep(rest, "", (), (), True))
    return steps


def numbered(steps: Sequence[RewrittenStep]) -> tuple[RewrittenStep, ...]:
    """Return the steps numbered anew, each after those that it came after, or after what those came after where they are gone."""
    number = {s.step.n: n for n, s in enumerate(steps, start=1) if not s.is_new}
    found: list[RewrittenStep] = []
    waiting: set[int] = set()
    rested: dict[int, int] = {}
    for n, one in enumerate(steps, start=1):
        after = {rested.get(number[k], number[k]) for k in one.step.after if k in number}
        if one.is_new and not after:
            waiting.add(n)
        elif one.is_new:
            rested[next(iter(after))] = n
        else:
            after |= waiting
            waiting = set()
        found.append(replace(one, step=replace(one.step, n=n, after=tuple(sorted(after)))))
    return tuple(found)
