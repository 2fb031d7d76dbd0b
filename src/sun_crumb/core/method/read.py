"""A method's text -> steps with uses, waits, temperatures and order."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import replace

from sun_crumb.core.method.account import USED_UP, Resolved
from sun_crumb.core.method.links import relink
from sun_crumb.core.method.loose_ends import without_loose_ends
from sun_crumb.core.method.order import Order
from sun_crumb.core.method.records import MethodLine, MethodRead, MethodStep, Use, Wait
from sun_crumb.core.method.sentences import clauses
from sun_crumb.core.method.uses import Resolver
from sun_crumb.core.method.waits import hands_on, oven_of, reached_in, tools_of, until_of, wait_of
from sun_crumb.core.reading.durations import durations
from sun_crumb.core.reading.records import Link, Step


def read_method(steps: Sequence[Step], lines: Sequence[MethodLine], links: Sequence[Link] = ()) -> MethodRead:
    """Return a recipe's method as small steps: what each uses, waits for and needs, and what comes before it.

    Parameters
    ----------
    steps
        The steps of the recipe's own text.
    lines
        Its ingredient lines, in their order.
    links
        Where lines go in by the baker's own word; what names no step of the method any more is passed over.

    Notes
    -----
    A line's shares add up to one over the steps that name it. What no step names is ``unplaced``.
    """
    small = clauses(steps)
    resolver = Resolver(lines, small)
    resolved = resolver.run()
    linked = relink(resolved, links, len(lines))
    order = Order()
    ahead = _baked_ahead([step.clause.text for step in resolved])
    found: list[MethodStep] = []
    oven: float | None = None
    before: Wait | None = None
    is_hot = False
    for n, step in enumerate(resolved, start=1):
        text = step.clause.text
        told = oven_of(text)
        if told is not None:
            oven, is_hot = told, True
        wait, hands = wait_of(text, before, uses=bool(step.uses), is_hot=is_hot and not step.uses)
        wait = ahead.get(n, wait)
        after = order.after(n, step, wait, has_oven=told is not None)
        is_bake = (wait is not None and wait.kind == "bake") or order.baked == n
        is_hot = is_hot and not is_bake
        found.append(
            MethodStep(
                n=n,
                text=text,
                component=step.component,
                uses=tuple(_weighed(use, lines) for use in step.uses),
                wait=wait,
                temperature_c=oven if told is not None or is_bake else None,
                hands_on_minutes=hands_on(text, hands, wait, len(step.uses)),
                equipment=tools_of(text),
                until=until_of(text),
                after=after,
                origin=(step.clause.origin,),
                reaches=reached_in(text),
                mentions=tuple(replace(m, uses=tuple(_weighed(u, lines) for u in m.uses)) for m in step.mentions),
                is_sure=all(use.is_sure for use in step.uses),
            )
        )
        before = wait or before
    joined = without_loose_ends([step.after for step in found], resolved, [step.wait for step in found])
    found = [replace(step, after=before) for step, before in zip(found, joined, strict=True)]
    unplaced = tuple(n for n, left in enumerate(resolver.left) if left > 1 - USED_UP and n not in linked)
    return MethodRead(_with_parts(found, resolved), unplaced)


def _baked_ahead(texts: Sequence[str]) -> dict[int, Wait | None]:
    """Return the bake by its step, from 1, and none at the line that tells its minutes ahead: "180C, 30 mins" ... "bake"."""
    told = next(
        (n for n, text in enumerate(texts[:MOST_AHEAD]) if _TOLD_AHEAD.search(text) and not _DOES.search(text)), None
    )
    baked = [n for n, text in enumerate(texts) if re.search(r"\bbake\b(?!\s*[:=])", text, re.I)]
    if told is None or len(baked) != 1 or baked[0] <= told or durations(texts[baked[0]]):
        return {}
    span = durations(texts[told])[0]
    return {told + 1: None, baked[0] + 1: Wait("bake", span.low_min, span.high_min)}


# The heat and the minutes in a line without anything to do, among so many first ones.
MOST_AHEAD = 2
_TOLD_AHEAD = re.compile(
    r"\b\d{3}\s*(?:°|º)?\s*[CF]?\b[^.;]{0,20}\b\d{1,2}\s*(?:[-–]\s*\d{1,2}\s*)?(?:mins?|minutes)\b", re.I
)
_DOES = re.compile(r"\b(?:bake\b(?!\s*[:=])|roast|cook|boil|simmer|fry|heat|preheat)\b", re.I)


def _weighed(use: Use, lines: Sequence[MethodLine]) -> Use:
    grams = lines[use.position].grams
    return Use(use.position, use.share, None if grams is None else use.share * grams, use.is_sure)


def _with_parts(found: list[MethodStep], resolved: Sequence[Resolved]) -> tuple[MethodStep, ...]:
    """Return the steps, the last of each component's with the name of what is ready then."""
    last = {step.component: n for n, step in enumerate(resolved) if step.component and step.uses}
    return tuple(
        replace(step, makes=step.component) if last.get(step.component) == n else step for n, step in enumerate(found)
    )
