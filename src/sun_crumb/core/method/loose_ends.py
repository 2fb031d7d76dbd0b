"""What nobody goes on with, taken to the step that does: what is baked to what is laid on it, what is ready into the bake."""

from __future__ import annotations

import re
from collections.abc import Sequence, Set

from sun_crumb.core.method.account import Resolved
from sun_crumb.core.method.order_words import HEATS, TIN_ONLY, is_baked
from sun_crumb.core.method.records import Wait


def without_loose_ends(
    after: Sequence[tuple[int, ...]], steps: Sequence[Resolved], waits: Sequence[Wait | None]
) -> list[tuple[int, ...]]:
    """Return what each step comes after, with nothing left behind that nobody goes on with.

    What is ready before a bake goes into it; what is baked, or made besides, into the next step that lays something on, cools or
    serves, else into the last.

    Parameters
    ----------
    after
        For each step, from 1, the steps that it comes right after.
    steps, waits
        The steps and what they wait for.
    """
    found = [set(before) for before in after]
    last = len(found)
    for k in range(1, last):
        if any(k in before for before in found):
            continue
        text = steps[k - 1].clause.text
        goal = _goes_on_in(k, text, steps, waits, found)
        if goal is not None:
            found[goal - 1].add(k)
    return [tuple(sorted(before)) for before in found]


def _goes_on_in(
    k: int, text: str, steps: Sequence[Resolved], waits: Sequence[Wait | None], after: Sequence[Set[int]]
) -> int | None:
    """Return the step, from 1, that goes on with what step *k* leaves: None where that is not known."""
    last = len(steps)
    is_tool = not steps[k - 1].uses and not steps[k - 1].back and bool(HEATS.search(text) or TIN_ONLY.search(text))
    was_baked = is_baked(text, waits[k - 1])
    for n in range(k + 1, last + 1):
        if (
            not is_tool
            and not was_baked
            and after[n - 1]
            and steps[n - 1].component == steps[k - 1].component
            and _PUT_IN.match(steps[n - 1].clause.text)
        ):
            return n
        if is_baked(steps[n - 1].clause.text, waits[n - 1]):
            return n
        if not is_tool and was_baked and _LAYS_ON.search(steps[n - 1].clause.text):
            return n
    return None if is_tool else last


# "Pour in the melted mix and the egg": the next that takes in what is there, and has begun before.
_PUT_IN = re.compile(
    r"\W*(?:then\s+|now\s+|finally\s+)?(?:pour|tip|stir|fold|add|mix|beat)\s+(?:in\b|the\b|them\b|it\b|this\b|everything\b)",
    re.I,
)
_LAYS_ON = re.compile(
    r"\b(?:pour|spoon|spread|drizzle|brush|top|fill|frost|ice|dust|decorate|serve|cut|cool|unmould|turn out|sprinkle|pipe|sandwich|prick|glaze)\w*\b",
    re.I,
)
