"""The oven of a plan: how much lower, how long, from when to look; and a step's words with that."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace

from sun_crumb.core.method.records import MethodStep


@dataclass(frozen=True, slots=True)
class Baking:
    """What the plan asks of the oven: how much lower [°C], how long [min], and from when to look."""

    lower_c: float = 0.0
    minutes: tuple[int, int] | None = None
    before_minutes: tuple[int, int] | None = None
    foil: bool = False
    why: str = ""


def first_look(minutes: int) -> int:
    """Return when to look [min]: five minutes before the earliest time, in a short bake a sixth of it (common practice).

    Examples
    --------
    >>> first_look(40), first_look(12)
    (35, 10)
    """
    return minutes - max(min(5, minutes // 6), 1) if minutes > 1 else 1


# "180C/160C fan", "180 / fan 160", "350 F", "oven at 180": three digits that are no weight, time or length.
_HEAT = re.compile(r"(?<![\d.,])\d{3}(?![\d.,]*\d)(?!\s*(?:g|kg|ml|l|cm|mm|oz|min\w*|k?cal)\b)", re.I)
# By so much less a fan's oven is set, and so near a heat is the one that the step asks for [°C] (common practice).
FAN_C, NEAR_C = 20.0, 6.0
_GAS = re.compile(r"\bgas(?:\s*mark)?\s*(?P<mark>\d{1,2})\b", re.I)


def baked(text: str, step: MethodStep, baking: Baking) -> tuple[str, MethodStep]:
    """Return a step with the plan's oven and times."""
    if step.temperature_c is not None and baking.lower_c:
        asked, lower = step.temperature_c, int(baking.lower_c)

        def lowered(found: re.Match[str]) -> str:
            value = int(found[0])
            if _is_asked(value, asked):
                return str(value - lower)
            return f"{25 * round((value - 1.8 * lower) / 25)}" if _is_asked((value - 32) / 1.8, asked) else found[0]

        text = _HEAT.sub(lowered, text)
        text = _GAS.sub(lambda m: f"{m[0][0]}as {max(int(m['mark']) - 1, 1)}" if baking.lower_c >= 10 else m[0], text)
        step = replace(step, temperature_c=step.temperature_c - baking.lower_c)
    wait = step.wait
    if (
        wait is not None
        and wait.kind == "bake"
        and baking.minutes
        and baking.before_minutes == (wait.low_min, wait.high_min)
    ):
        low, high = baking.minutes
        span = f"{low} minutes" if low == high else f"{low} to {high} minutes"
        text, count = _MINUTES.subn(span, text, count=1)
        if count:
            step = replace(step, wait=replace(wait, low_min=low, high_min=high))
    return text, step


def _is_asked(celsius: float, asked: float) -> bool:
    """Return whether a heat is the one that a step asks for, of a plain oven or of one with a fan [°C]."""
    return min(abs(celsius - asked), abs(celsius - (asked - FAN_C))) <= NEAR_C


_MINUTES = re.compile(
    r"\d{1,3}(?:\s*(?:-|–|to)\s*\d{1,3})?\s*(?:min(?:ute)?s?\b\.?)(?:\s*(?:-|–|to)\s*1\s*h(?:ou)?r)?", re.I
)
