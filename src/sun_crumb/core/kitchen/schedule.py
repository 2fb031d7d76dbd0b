"""When to begin: the latest start that keeps every rule, backwards from the time of serving."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.tasks import Task, checked
from sun_crumb.core.kitchen.timetable import DAY, Placed, Sleep, Timetable

MOST_DAYS = 4
# More ovens than this are a bakery (judgement).
MOST_OVENS = 6


@dataclass(frozen=True, slots=True)
class Schedule:
    """The latest schedule, or that there is none: which rules clash, and the earliest serving that works [min].

    Minutes count from the midnight before the day of serving. ``is_proven`` when no later start exists.
    """

    feasible: bool
    start: int | None
    makespan_min: int | None
    tasks: tuple[Placed, ...]
    clashes: tuple[str, ...] = ()
    earliest: int | None = None
    is_proven: bool = True


def schedule(
    tasks: Sequence[Task],
    serve: int,
    sleep: Sleep | None = None,
    now: int | None = None,
    pins: Mapping[str, int] | None = None,
    ovens: int = 1,
) -> Schedule:
    """Return the tasks in time so that all is ready at *serve* and the first begins as late as it can.

    One cook, each oven at one heat; nobody works or watches an oven asleep.

    Parameters
    ----------
    tasks
        What is to be done.
    serve
        When it must be ready [min from the midnight before that day].
    sleep
        The hours of sleep; None for none.
    now
        Nothing can begin before [min]; None where it doesn't matter.
    pins
        When some tasks begin by the cook's own word [min], by id; what is no task any more is passed over.
    ovens
        How many ovens there are, 1 to 6.

    Raises
    ------
    OutOfDomainError
        The tasks can't be planned at all; names what is wrong.
    """
    if not 1 <= ovens <= MOST_OVENS:
        raise OutOfDomainError(f"a kitchen has 1 to {MOST_OVENS} ovens, not {ovens}", field="ovens")
    tasks = checked(tasks)
    known = {task.id for task in tasks}
    asked = _Asked(tasks, serve, sleep, now, {key: at for key, at in (pins or {}).items() if key in known}, ovens)
    found = _latest(asked)
    if found is not None:
        placed, proven = found
        start = min(p.start for p in placed)
        return Schedule(True, start, serve - start, placed, is_proven=proven)
    earliest = _earliest(asked)
    # Where only a moved step is in the way, no other time of serving is asked for.
    is_later = earliest is not None and (earliest > serve or not asked.pins)
    return Schedule(False, None, None, (), tuple(_clashes(asked)), earliest if is_later else None)


@dataclass(frozen=True, slots=True)
class _Asked:
    tasks: Sequence[Task]
    serve: int
    sleep: Sleep | None
    now: int | None
    pins: Mapping[str, int]
    ovens: int = 1


def _latest(asked: _Asked) -> tuple[tuple[Placed, ...], bool] | None:
    """Return the tasks placed as late as they go, and whether that is proven; None where no way is found in MOST_DAYS days."""
    for days in (1, 2, MOST_DAYS):
        early = asked.serve - days * DAY
        begin = early if asked.now is None else max(asked.now, early)
        table = (
            Timetable(asked.tasks, begin, asked.serve, asked.sleep, asked.pins, asked.ovens)
            if begin < asked.serve
            else None
        )
        if table is not None and (found := table.latest()) is not None:
            return found
        if begin == asked.now:
            break
    return None


def _earliest(asked: _Asked) -> int | None:
    """Return the earliest serving that works [min], begun now or a day before it was wished for; None where none does in MOST_DAYS days."""
    begin = asked.serve - DAY if asked.now is None else asked.now
    until = max(asked.serve, begin) + MOST_DAYS * DAY
    found = Timetable(asked.tasks, begin, until, asked.sleep, {}, asked.ovens).earliest()
    return None if found is None else 5 * -(-found // 5)


def _clashes(asked: _Asked) -> Iterator[str]:
    """Give each rule without which it would go."""
    if asked.now is not None and asked.serve <= asked.now:
        yield "the time of serving is past"
        return
    if asked.pins and _latest(replace(asked, pins={})) is not None:
        yield "a step can't be where you moved it"
    if asked.now is not None and _latest(replace(asked, now=None)) is not None:
        yield "there is too little time from now"
    if asked.sleep is not None and _latest(replace(asked, sleep=None)) is not None:
        yield "somebody would have to be awake in the hours of sleep"
    loose = [replace(t, after=tuple(replace(g, most_min=None) for g in t.after)) for t in asked.tasks]
    is_timed = any(g.most_min is not None for t in asked.tasks for g in t.after)
    if is_timed and _latest(replace(asked, tasks=loose)) is not None:
        yield "something would have to stand longer than it may"


def shared_oven(one: Iterable[Task], other: Iterable[Task]) -> tuple[Task, ...]:
    """Return the tasks of two bakes as those of one day."""
    found = (*one, *other)
    if len({task.id for task in found}) < len(found):
        raise OutOfDomainError("two bakes of one day need different ids", field="id")
    return found
