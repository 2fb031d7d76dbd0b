"""Tasks of a bake day: how long hands and time they take, what they occupy, and what comes before what."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.method.records import MethodStep

MOST_TASKS = 120
MOST_MINUTES = 7 * 1440
# What a heating oven takes [min] (common practice).
HEATS_MIN = 15
# How long what is not chilled, risen or baked may stand before it goes on [min]; what comes from the oven or the heat goes on at once (judgement).
STANDS_MIN, HOT_MIN, NIGHT_AND_DAY = 60, 10, 2880
# Waits that nobody need be awake for; an oven and a pan are watched.
ALONE = frozenset({"chill", "freeze", "cool", "soak", "rise", "rest", "set"})
# What is waited for where no time is told [min] (common practice).
_UNTOLD = (
    (
        re.compile(
            r"\bcool\s+(?:\w+\s+){0,2}?completely|\bcompletely (?:cool|cold)|\buntil (?:quite |completely |stone )?cold\b|\b(?:leave|let)\b[^.;]{0,25}\bto cool\b",
            re.I,
        ),
        60,
    ),
    (re.compile(r"^\W*(?:let (?:it |them )?)?cool\b(?!ed)", re.I), 30),
    (re.compile(r"\bchill (?:until|till)\b|\b(?:chill|refrigerate)\s*[.,]?$", re.I), 120),
    (re.compile(r"\bfreeze (?:until|till)\b|\bfreeze\s*[.,]?$", re.I), 240),
    (re.compile(r"\buntil (?:doubled|it has doubled|well risen)\b", re.I), 60),
)
OCCUPIES = {"bake": "oven", "chill": "fridge", "freeze": "freezer", "simmer": "hob"}


@dataclass(frozen=True, slots=True)
class Gap:
    """What a task comes after: that task's id, and the least and most minutes between its end and this one's start."""

    id: str
    least_min: int = 0
    most_min: int | None = None


@dataclass(frozen=True, slots=True)
class Task:
    """One thing to do: hands are on it for its first minutes, then it waits.

    ``oven_c`` is the heat that it needs while it waits; ``is_watched`` when nobody may sleep then.
    """

    id: str
    text: str
    hands_min: int
    wait_min: int = 0
    occupies: str = ""
    oven_c: float | None = None
    after: tuple[Gap, ...] = ()
    is_watched: bool = False

    @property
    def minutes(self) -> int:
        """How long it lasts."""
        return self.hands_min + self.wait_min

    @property
    def attended_min(self) -> int:
        """For how long somebody must be awake."""
        return self.minutes if self.is_watched else self.hands_min


def checked(tasks: Sequence[Task]) -> tuple[Task, ...]:
    """Return tasks that can be planned.

    Raises
    ------
    OutOfDomainError
        There are none or too many, one lasts too long, an id stands twice, one comes after what is not there, or they go round in a circle.
    """
    if not 1 <= len(tasks) <= MOST_TASKS:
        raise OutOfDomainError(f"1 to {MOST_TASKS} tasks can be planned, not {len(tasks)}", field="tasks")
    ids = [task.id for task in tasks]
    for task in tasks:
        if ids.count(task.id) > 1:
            raise OutOfDomainError(f"two tasks are called {task.id!r}", field="id")
        if task.hands_min < 0 or task.wait_min < 0 or task.minutes > MOST_MINUTES:
            raise OutOfDomainError(
                f"{task.id}: {task.hands_min} and {task.wait_min} minutes are no times of a bake", field="minutes"
            )
        for gap in task.after:
            if gap.id not in ids:
                raise OutOfDomainError(f"{task.id} comes after {gap.id!r}, which is no task", field="after")
            if gap.most_min is not None and gap.most_min < gap.least_min:
                raise OutOfDomainError(
                    f"{task.id}: at most {gap.most_min} min after {gap.id} is less than at least {gap.least_min}",
                    field="gap_max",
                )
    _in_order(tasks)
    return tuple(tasks)


def _in_order(tasks: Sequence[Task]) -> list[str]:
    left = {task.id: {gap.id for gap in task.after} for task in tasks}
    found: list[str] = []
    while left:
        free = [k for k, needs in left.items() if not needs - set(found)]
        if not free:
            raise OutOfDomainError(f"these come after one another in a circle: {', '.join(left)}", field="after")
        found += free
        for k in free:
            del left[k]
    return found


def tasks_of(steps: Iterable[MethodStep], prefix: str = "") -> tuple[Task, ...]:
    """Return a method's steps as tasks: a bake lasts as long as it may, another wait as long as it must.

    A step that heats the oven lasts until it is hot. What leaves the oven or the heat goes on at once.
    """
    steps = list(steps)
    by_n = {step.n: step for step in steps}
    return tuple(_task(step, by_n, prefix) for step in steps)


def _task(step: MethodStep, by_n: dict[int, MethodStep], prefix: str) -> Task:
    hands = max(round(sum(step.hands_on_minutes) / 2), 1)
    kind = step.wait.kind if step.wait else ""
    wait = (step.wait.high_min if kind == "bake" else step.wait.low_min) if step.wait else 0
    heats = step.temperature_c is not None and not kind
    if not kind and not heats:
        wait = next((minutes for words, minutes in _UNTOLD if words.search(step.text)), 0)
    return Task(
        f"{prefix}{step.n}",
        step.text,
        hands,
        HEATS_MIN if heats else wait,
        "oven" if heats else OCCUPIES.get(kind, ""),
        step.temperature_c,
        tuple(Gap(f"{prefix}{k}", 0, _stands(by_n[k], step)) for k in step.after if k in by_n),
        is_watched=heats or (bool(kind) and kind not in ALONE),
    )


def _stands(before: MethodStep, step: MethodStep) -> int | None:
    """Return how long what a step leaves may stand before the next, None where the keeping is its purpose."""
    kind = before.wait.kind if before.wait else ""
    if before.temperature_c is not None and not kind:
        return STANDS_MIN
    if not before.uses and not kind and not before.after:
        return None  # a tin lined, a bowl set out
    if kind == "bake":
        return HOT_MIN
    if kind == "simmer":
        return STANDS_MIN
    if kind in ("chill", "freeze", "set", "cool", "soak"):
        return NIGHT_AND_DAY
    return STANDS_MIN
