"""The sugar that whites are whisked with, in one list with other sugar: a meringue's, which stands on it."""

from __future__ import annotations

import re
from collections.abc import Sequence
from dataclasses import replace
from typing import TYPE_CHECKING

if TYPE_CHECKING:
    from sun_crumb.core.formula.recipe import FormulaLine

# So much sugar to the whites makes a foam of its own [share]; less white is none [g] (judgement).
FOAM_SUGAR, LEAST_WHITES_G = 1.0, 50.0
# So many sentences a method takes from whisking the whites to what is done with them (judgement).
NEAR = 3


def with_foams(lines: Sequence[FormulaLine], method: str = "") -> tuple[FormulaLine, ...]:
    """Return the lines of a list in their order, the sugars marked that whites are whisked with.

    They are those beside the whites, where their component has other sugar too or stands on what
    was bought: a meringue told in one list with its pie keeps its sugar as one told apart does.
    Where whole eggs are listed it is the sugar that the method whisks their whites with, to be piled on.
    That it needs at least the whites' weight of it is common practice, no published source.

    Parameters
    ----------
    lines
        The weighed lines in the order the list has them, grams each.
    method
        How it is made, in sentences; empty where nobody tells.
    """
    sugars = [n for n, x in enumerate(lines) if x.ingredient.has_role("sugar") and x.ingredient.group == "refined"]
    found = set()
    for n, line in enumerate(lines):
        own = [k for k in sugars if lines[k].component == line.component]
        beside = next((k for k in (n + 1, n - 1) if k in own), None)
        is_white = line.ingredient.key == "egg_white" and line.grams >= LEAST_WHITES_G
        # On what was bought, or beside other sugar: a lemon pie's, or a cake's under ice cream.
        is_on_other = len(own) > 1 or any(
            x.component == line.component and "made" in x.ingredient.traits for x in lines
        )
        if is_white and beside is not None and is_on_other and lines[beside].grams >= FOAM_SUGAR * line.grams:
            found.add(beside)
    has_whites = any(line.ingredient.key == "egg_white" for line in lines)
    if not has_whites and (whisked := _whisked_to_pile_on(method)) is not None:
        # "Whisk the whites with the 175 g": the line that tells so much, else the most of what is listed with the eggs.
        told = [n for n in sugars if whisked and re.search(rf"(?<!\d){whisked}\s*g", lines[n].text)]
        with_eggs = {line.component for line in lines if line.ingredient.group == "egg"}
        beside_eggs = sorted((n for n in sugars if lines[n].component in with_eggs), key=lambda n: -lines[n].grams)
        found |= set(told or beside_eggs[:1])
    # A mark that an earlier method set goes with it.
    return tuple(replace(line, is_foam=n in found) for n, line in enumerate(lines))


def _whisked_to_pile_on(method: str) -> str | None:
    """Return how much sugar [g] a method whisks whites with that are piled on, not folded in; empty where it doesn't say, None where it does no such thing."""
    sentences = re.split(r"(?<=[.!;])\s+|\n", method)
    for n, sentence in enumerate(sentences):
        whites = _WHISKED.search(sentence)
        if whites is None:
            continue
        near = " ".join([sentence[whites.start() :], *sentences[n + 1 : n + NEAR]])
        if _PILED.search(near) and not _FOLDED.search(near.split("whites", 1)[-1]):
            told = re.search(r"(\d{2,3})\s*g\b", near)
            return told[1] if told else ""
    return None


_WHISKED = re.compile(r"\b(?:whisk|whip|beat)\w*\b[^.;]{0,30}\bwhites\b", re.I)
_PILED = re.compile(
    r"\bmeringue\b|\b(?:pile|heap|swirl|pipe|dollop|spoon|spread)(?:ed)?\s+(?:(?:it|this|them|the\s+(?:whites|foam|snow))\s+)?(?:on|over)\b",
    re.I,
)
_FOLDED = re.compile(r"\bfold\w*\b", re.I)
