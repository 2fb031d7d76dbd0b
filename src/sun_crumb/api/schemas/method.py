"""Methods, and what is made before a bake."""

from __future__ import annotations

from typing import Any, Literal

from sun_crumb.api.schemas.base import Out, To1, To2, To3


class UseOut(Out):
    """What a step uses: the line's own text, its food by pantry key, how much of it."""

    line: str
    ingredient: str | None
    share: To3
    grams: To2 | None
    told: str = ""
    name: str = ""
    position: int | None = None
    is_sure: bool = True


class WaitOut(Out):
    kind: Literal["bake", "rest", "chill", "freeze", "cool", "soak", "rise", "simmer", "set"]
    low_min: int
    high_min: int


class ReachedOut(Out):
    of: str
    temperature_c: To1


class MethodStepOut(Out):
    """One step; ``from_`` is called *from* in JSON: the steps of the recipe's own text."""

    n: int
    text: str
    component: str
    uses: list[UseOut]
    wait: WaitOut | None
    temperature_c: To1 | None
    hands_on_minutes: list[int]
    equipment: list[str]
    until: str
    after: list[int]
    origin: list[int]
    makes: str
    reaches: ReachedOut | None
    was: str = ""
    notes: list[str] = []
    is_new: bool = False
    is_sure: bool = True
    key: str = ""
    ours: str = ""
    dial: str = ""
    stirred_every_min: int | None = None


class MethodTextOut(Out):
    """A method; ``unplaced`` are the lines that no step names."""

    title: str
    steps: list[MethodStepOut]
    unplaced: list[str]


def contract_keys(answer: dict[str, Any]) -> dict[str, Any]:
    """Return a method as the command line gives it: *from* for the steps of the recipe's own text."""
    for step in answer["steps"]:
        step["from"] = step.pop("origin")
    return answer
