"""When to begin: the schedule of a recipe or of tasks, backwards from the time of serving."""

from __future__ import annotations

import json
import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import datetime, timedelta
from typing import Any

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.schedule import Schedule, schedule, shared_oven
from sun_crumb.core.kitchen.tasks import Gap, Task, checked, tasks_of
from sun_crumb.core.kitchen.timetable import Sleep
from sun_crumb.core.method import MethodStep, read_method
from sun_crumb.core.method.lines import lines_of_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import method_of, read_recipe
from sun_crumb.formats.calendar import ics
from sun_crumb.schemas.days import FIRST_DAY, LAST_DAY
from sun_crumb.store.clock import Clock, SystemClock


@dataclass(frozen=True, slots=True)
class Asked:
    """What is to be planned: its name and tasks, when it is served, the hours of sleep, before when nothing begins, and how many ovens there are."""

    title: str
    tasks: tuple[Task, ...]
    serve: datetime
    sleep: Sleep | None
    now: datetime | None
    pins: Mapping[str, datetime] = field(default_factory=dict)
    ovens: int = 1

    @property
    def midnight(self) -> datetime:
        """The midnight before the day of serving, from which minutes count."""
        return self.serve.replace(hour=0, minute=0, second=0, microsecond=0)


def asked(
    text: str,
    serve: str,
    sleep: str | None = None,
    now: str | None = None,
    clock: Clock | None = None,
    ovens: int = 1,
) -> Asked:
    """Return what a recipe's text, or tasks as JSON, ask to be planned.

    Raises
    ------
    OutOfDomainError
        The text tells no tasks, or a time can't be read; names the field.
    """
    title, tasks = _tasks(text)
    at = time_of(serve, "serve")
    begin = None if now == "any" else time_of(now, "now") if now else (clock or SystemClock()).local()
    return Asked(title, tasks, at, sleep_of(sleep), begin, ovens=ovens)


@dataclass(frozen=True, slots=True)
class Bake:
    """One bake of a day: its name and method; ``key`` stands before the ids of its tasks where there are several."""

    key: str
    title: str
    steps: Sequence[MethodStep]


def asked_of(
    bakes: Sequence[Bake],
    serve: datetime,
    sleep: Sleep | None,
    now: datetime | None,
    pins: Mapping[str, datetime] | None = None,
    ovens: int = 1,
) -> Asked:
    """Return what the bakes of one day ask to be planned: one cook, the ovens that there are, all on the table at one time.

    Raises
    ------
    OutOfDomainError
        There is nothing to plan, or the same bake twice.
    """
    found: tuple[Task, ...] = ()
    for bake in bakes:
        tasks = tasks_of(bake.steps, bake.key)
        if len(bakes) > 1:
            tasks = tuple(replace(task, text=f"{bake.title}: {task.text}") for task in tasks)
        found = shared_oven(found, tasks)
    return Asked(" and ".join(bake.title for bake in bakes), checked(found), serve, sleep, now, dict(pins or {}), ovens)


def _tasks(text: str) -> tuple[str, tuple[Task, ...]]:
    if text.lstrip().startswith("{"):
        return _from_json(text)
    reading = read_recipe(text, shipped_pantry())
    read = read_method(method_of(reading).steps, lines_of_reading(reading, shipped_pantry()))
    if not read.steps:
        raise OutOfDomainError("this recipe tells no method: there is nothing to plan", field="method")
    return reading.title, checked(tasks_of(read.steps))


def _from_json(text: str) -> tuple[str, tuple[Task, ...]]:
    try:
        given = json.loads(text)
    except ValueError as error:
        raise OutOfDomainError(f"this is no JSON ({error})", field="tasks") from None
    rows = given.get("tasks") if isinstance(given, dict) else None
    if not isinstance(rows, list):
        raise OutOfDomainError("tasks: a list of tasks is wanted (docs/schedule.md)", field="tasks")
    return str(given.get("title", "")), checked([_task(row, n) for n, row in enumerate(rows, start=1)])


def _task(row: Any, n: int) -> Task:
    if not isinstance(row, dict):
        raise OutOfDomainError(f"task {n} is no object", field="tasks")
    after = row.get("after", [])
    if not isinstance(after, list):
        raise OutOfDomainError(f"task {n}: after is a list", field="after")
    oven = row.get("oven_c")
    occupies = str(row.get("occupies", "oven" if oven is not None else ""))
    return Task(
        str(row.get("id", n)),
        str(row.get("text", row.get("id", n)))[:400],
        _minutes(row, "hands_min", n),
        _minutes(row, "wait_min", n),
        occupies,
        None if oven is None else float(_minutes(row, "oven_c", n)),
        tuple(_gap(gap, n) for gap in after),
        is_watched=bool(row.get("is_watched", occupies in ("oven", "hob"))),
    )


def _gap(gap: Any, n: int) -> Gap:
    if isinstance(gap, dict):
        most = gap.get("gap_max")
        return Gap(
            str(gap.get("id", "")), _minutes(gap, "gap_min", n), None if most is None else _minutes(gap, "gap_max", n)
        )
    return Gap(str(gap))


def _minutes(row: Mapping[str, Any], key: str, n: int) -> int:
    value = row.get(key, 0)
    if isinstance(value, bool) or not isinstance(value, int | float) or not 0 <= value <= 100_000:
        raise OutOfDomainError(f"task {n}: {key} is {value!r}; minutes are a number from 0 on", field=key)
    return round(value)


def time_of(text: str, field: str) -> datetime:
    """Return a local time told as 2027-01-09T16:00.

    Raises
    ------
    OutOfDomainError
        It is none; names the field.
    """
    try:
        found = datetime.fromisoformat(text.strip())
    except ValueError:
        raise OutOfDomainError(
            f"{field}: {text!r} is no time; say for instance 2027-01-09T16:00", field=field
        ) from None
    if not FIRST_DAY <= found.date() <= LAST_DAY:
        raise OutOfDomainError(f"{field}: {text!r} lies outside {FIRST_DAY} to {LAST_DAY}", field=field)
    return found.replace(tzinfo=None, second=0, microsecond=0)


def sleep_of(text: str | None) -> Sleep | None:
    """Return the hours of sleep told as 22:30-06:30, None for none.

    Raises
    ------
    OutOfDomainError
        They are none.
    """
    if not text:
        return None
    found = re.fullmatch(r"\s*([01]?\d|2[0-3]):([0-5]\d)\s*[-–]\s*([01]?\d|2[0-3]):([0-5]\d)\s*", text)
    if not found:
        raise OutOfDomainError(f"sleep: {text!r} are no hours; say for instance 22:30-06:30", field="sleep")
    a, b, c, d = map(int, found.groups())
    return Sleep(60 * a + b, 60 * c + d)


def planned(what: Asked) -> Schedule:
    """Return the latest schedule of what is asked, or why there is none."""
    minutes = _minute(what.serve, what.midnight)
    now = None if what.now is None else _minute(what.now, what.midnight)
    pins = {key: _minute(at, what.midnight) for key, at in what.pins.items()}
    return schedule(what.tasks, minutes, what.sleep, now, pins, what.ovens)


def _minute(at: datetime, midnight: datetime) -> int:
    return round((at - midnight).total_seconds() / 60)


def told(what: Asked, found: Schedule) -> dict[str, Any]:
    """Return a schedule by local times."""
    at = what.midnight
    by_id = {task.id: task for task in what.tasks}
    earliest = None if found.earliest is None else _iso(at, found.earliest)
    late = None if found.earliest is None else found.earliest - _minute(what.serve, at)
    return {
        "title": what.title,
        "feasible": found.feasible,
        "start": None if found.start is None else _iso(at, found.start),
        "makespan_min": found.makespan_min,
        "tasks": [
            {
                "id": p.id,
                "start": _iso(at, p.start),
                "end": _iso(at, p.end),
                "hands_min": by_id[p.id].hands_min,
                "occupies": by_id[p.id].occupies,
                "text": by_id[p.id].text,
            }
            for p in sorted(found.tasks, key=lambda p: (p.start, p.end))
        ],
        "clashes": list(found.clashes),
        "earliest": earliest,
        "later_min": late,
        "is_proven": found.is_proven,
    }


def _iso(midnight: datetime, minute: int) -> str:
    return (midnight + timedelta(minutes=minute)).isoformat(timespec="minutes")


def calendar(what: Asked, found: Schedule, clock: Clock | None = None) -> str:
    """Return a schedule as an iCalendar file.

    Raises
    ------
    OutOfDomainError
        There is no schedule to write down.
    """
    if not found.feasible:
        raise OutOfDomainError(f"it can't be done by then: {'; '.join(found.clashes)}", field="serve")
    at = what.midnight
    texts = {task.id: task.text for task in what.tasks}
    day = what.serve.strftime("%Y%m%d")
    name = re.sub(r"[^a-z0-9]+", "-", what.title.lower()).strip("-") or "bake"
    events = [
        (f"{name}-{day}-{p.id}", texts[p.id], at + timedelta(minutes=p.start), at + timedelta(minutes=p.end))
        for p in found.tasks
    ]
    return ics(what.title, events, (clock or SystemClock()).now())
