"""What goes in where by the baker's own word, in place of what the method's words were taken to mean."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from sun_crumb.core.method.account import Resolved
from sun_crumb.core.method.records import Mention, Use
from sun_crumb.core.reading.records import Link


def relink(resolved: Sequence[Resolved], links: Sequence[Link], count: int) -> set[int]:
    """Move lines to the steps that the baker named, in equal shares where there are several; return the lines that were moved.

    Parameters
    ----------
    resolved
        The small steps, changed in place.
    links
        Lines by their place and steps by their words.
    count
        How many lines there are; a link to another is passed over.
    """
    moved: set[int] = set()
    for position in dict.fromkeys(link.position for link in links if link.position < count):
        said = {link.step for link in links if link.position == position}
        into = [step for step in resolved if step.clause.text in said]
        if not into:
            continue
        moved.add(position)
        for step in resolved:
            step.mentions[:] = [_without(m, position, is_here=step in into) for m in step.mentions]
            step.mentions[:] = [m for m in step.mentions if m.uses or m.end > m.start]
        for step in into:
            _put(step, Use(position, 1.0 / len(into), None, True))
            step.back.discard(position)
    return moved


def _without(mention: Mention, position: int, *, is_here: bool) -> Mention:
    """Return a mention that takes a line no more; where it took nothing else, and the line goes elsewhere, its words go too."""
    uses = tuple(use for use in mention.uses if use.position != position)
    if len(uses) == len(mention.uses):
        return mention
    return replace(mention, uses=uses, is_moved=not uses and not mention.is_group and not is_here)


def _put(step: Resolved, use: Use) -> None:
    """Let a step take a line: where its words name it, else by a sentence of its own."""
    at = next((n for n, m in enumerate(step.mentions) if use.position in m.of and m.end > m.start and not m.uses), None)
    if at is None:
        step.mentions.append(Mention(0, 0, (use,)))
    else:
        step.mentions[at] = replace(step.mentions[at], uses=(use,))
