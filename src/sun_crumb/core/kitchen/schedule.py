"""When to begin: the latest start that keeps every rule, backwards from the time of serving."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.tasks import Task, checked
from sun_crumb.core.kitchen.timetable import DAY, Placed, Sleep, Timetable

MOST_DAYS = 4


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


def schedule(tasks: Sequence[Task], serve: int, sleep: Sleep | None = None, now: int | None = None) -> Schedule:
    """Return the tasks in time so that all is ready at *serve* and the first begins as late as it can.

    One cook, one oven at one heat; nobody works or watches an oven asleep.

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

    Raises
    ------
    OutOfDomainError
        The tasks can't be planned at all; names what is wrong.
    """
    tasks = checked(tasks)
    found = _latest(tasks, serve, sleep, now)
    if found is not None:
        placed, proven = found
        start = min(p.start for p in placed)
        return Schedule(True, start, serve - start, placed, is_proven=proven)
    clashes = tuple(_clashes(tasks, serve, sleep, now))
    return Schedule(False, None, None, (), clashes, _earliest(tasks, serve, sleep, now))


def _latest(
    tasks: Sequence[Task], serve: int, sleep: Sleep | None, now: int | None
) -> tuple[tuple[Placed, ...], bool] | None:
    """Return the tasks placed as late as they go, and whether that is proven; None where no way is found in MOST_DAYS days."""
    for days in (1, 2, MOST_DAYS):
        begin = serve - days * DAY if now is None else max(now, serve - days * DAY)
        if begin < serve and (found := Timetable(tasks, begin, serve, sleep).latest()) is not None:
            return found
        if begin == now:
            break
    return None


def _earliest(tasks: Sequence[Task], serve: int, sleep: Sleep | None, now: int | None) -> int | None:
    """Return the earliest serving that works [min], begun now or a day before it was wished for; None where none does in MOST_DAYS days."""
    begin = serve - DAY if now is None else now
    found = Timetable(tasks, begin, max(serve, begin) + MOST_DAYS * DAY, sleep).earliest()
    return None if found is None else 5 * -(-found // 5)


def _clashes(tasks: Sequence[Task], serve: int, sleep: Sleep | None, now: int | None) -> Iterator[str]:
    """Give each rule without which it would go."""
    if now is not None and serve <= now:
        yield "the time of serving is past"
        return
    if now is not None and _latest(tasks, serve, sleep, None) is not None:
        yield "there is too little time from now"
    if sleep is not None and _latest(tasks, serve, None, now) is not None:
        yield "somebody would have to be awake in the hours of sleep"
    loose = [replace(t, after=tuple(replace(g, most_min=None) for g in t.after)) for t in tasks]
    if any(g.most_min is not None for t in tasks for g in t.after) and _latest(loose, serve, sleep, now) is not None:
        yield "something would have to stand longer than it may"


def shared_oven(one: Iterable[Task], other: Iterable[Task]) -> tuple[Task, ...]:
    """Return the tasks of two bakes as those of one day."""
    found = (*one, *other)
    if len({task.id for task in found}) < len(found):
        raise OutOfDomainError("two bakes of one day need different ids", field="id")
    return found
