"""Recipes with what their methods say, written down before the reader of methods was: docs/method.md tells how each set came out at first.

They stand in method_cases.txt: behind a line with the set, ``order`` and ``apart`` the text as it was written, then a line for each step of it,
from 1: the lines that it uses, by their number in the list from 0 ("3", a part as "3:0.5"); its waits as "kind low-high" [min]; its oven
temperatures [°C, conventional; with a ~ what the thing itself reaches]. ``order`` holds pairs of steps of which the first must come before the
second; ``apart`` pairs of which neither needs the other.
"""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path


@dataclass(frozen=True)
class Told:
    """What one step of the text says."""

    uses: str = ""
    waits: str = ""
    degrees: str = ""


@dataclass(frozen=True)
class MethodCase:
    """A recipe and what its method says."""

    text: str
    steps: tuple[Told, ...]
    order: str = ""
    apart: str = ""


# A text without a line's end at its own.
OPEN_END = "\n=nonl=\n"


def _cases() -> Iterator[tuple[str, MethodCase]]:
    """Give each case with the set that it is of."""
    with Path(__file__).with_suffix(".txt").open(encoding="utf-8", newline="") as handle:
        parts = re.split(r"^===== (.*)\n", handle.read(), flags=re.M)[1:]
    for head, body in zip(parts[::2], parts[1::2], strict=True):
        name, order, apart = head.split("\t")
        text, *steps = re.split(r"^----- ", body, flags=re.M)
        told = tuple(Told(*(cell.strip() for cell in step.split("|"))) for step in steps)
        yield name, MethodCase(text.removesuffix(OPEN_END), told, order, apart)


def _of(*sets: str) -> tuple[MethodCase, ...]:
    return tuple(case for name, case in _cases() if not sets or name in sets)


FIRST, SECOND, THIRD = _of("FIRST"), _of("SECOND"), _of("THIRD")
ALL = _of()
