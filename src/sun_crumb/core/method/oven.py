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


_CELSIUS = re.compile(r"(?P<value>\d{3})(?P<unit>\s*(?:°|º|degrees?)?\s*C\b)", re.I)
_FAHRENHEIT = re.compile(r"(?P<value>\d{3})(?P<unit>\s*(?:°|º|degrees?)?\s*F\b)", re.I)
_GAS = re.compile(r"\bgas(?:\s*mark)?\s*(?P<mark>\d{1,2})\b", re.I)
_FAN = re.compile(r"\bfan(?P<unit>\s+)(?P<value>\d{3})\b|\b(?P<value2>\d{3})(?P<unit2>\s*(?:°|º)?\s*C?\s*fan)\b", re.I)


# "180/160 fan"
_PLAIN_BESIDE_FAN = re.compile(r"\b(\d{3})(?=\s*(?:°|º)?\s*[/(]\s*\d{3}\s*(?:°|º)?\s*fan\b)", re.I)


def baked(text: str, step: MethodStep, baking: Baking) -> tuple[str, MethodStep]:
    """Return a step with the plan's oven and times."""
    if step.temperature_c is not None and baking.lower_c:

        def lower(found: re.Match[str]) -> str:
            return f"{int(found['value']) - int(baking.lower_c)}{found['unit']}"

        text = _PLAIN_BESIDE_FAN.sub(lambda m: str(int(m[1]) - int(baking.lower_c)), text)
        fan_done = _FAN.sub(
            lambda m: m[0].replace(
                m["value"] or m["value2"], str(int(m["value"] or m["value2"]) - int(baking.lower_c))
            ),
            text,
        )
        marked = {m.start() for m in _FAN.finditer(text)}
        text = _CELSIUS.sub(lambda m: m[0] if any(s <= m.start() < s + 12 for s in marked) else lower(m), fan_done)
        text = _FAHRENHEIT.sub(
            lambda m: f"{25 * round((int(m['value']) - 1.8 * baking.lower_c) / 25)}{m['unit']}", text
        )
        text = _GAS.sub(lambda m: f"gas {max(int(m['mark']) - 1, 1)}" if baking.lower_c >= 10 else m[0], text)
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


_MINUTES = re.compile(
    r"\d{1,3}(?:\s*(?:-|–|to)\s*\d{1,3})?\s*(?:min(?:ute)?s?\b\.?)(?:\s*(?:-|–|to)\s*1\s*h(?:ou)?r)?", re.I
)
