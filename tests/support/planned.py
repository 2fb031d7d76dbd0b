"""The latest start by another solver (HiGHS, a mixed-integer one) and by trying every order: references for our schedules."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import combinations

from sun_crumb.core.kitchen.tasks import Task
from sun_crumb.core.kitchen.timetable import DAY, Sleep
from sun_crumb.core.solving.solver import LinearModel


def latest_start(tasks: Sequence[Task], serve: int, sleep: Sleep | None, days: int) -> int | None:
    """Return the latest start of all [min], or None where no way is found in so many days before serving."""
    begin = serve - days * DAY
    span = float(serve - begin)
    model = LinearModel()
    at = {task.id: model.add(0.0, span - task.minutes) for task in tasks}
    minutes = {task.id: task.minutes for task in tasks}
    first = model.add(0.0, span, -1.0)
    for task in tasks:
        model.require({first: 1.0, at[task.id]: -1.0}, upper=0.0)
        for gap in task.after:
            lasts = minutes[gap.id]
            most = float("inf") if gap.most_min is None else float(lasts + gap.most_min)
            model.require({at[task.id]: 1.0, at[gap.id]: -1.0}, lower=float(lasts + gap.least_min), upper=most)
    for what in ("cook", "oven", "hob"):
        for (a, (a0, a1)), (b, (b0, b1)) in combinations([(t.id, busy) for t in tasks if (busy := _busy(t, what))], 2):
            is_first = model.binary()
            room = span + abs(a1 - b0) + abs(b1 - a0)
            model.require({at[b]: 1.0, at[a]: -1.0, is_first: -room}, lower=a1 - b0 - room)
            model.require({at[a]: 1.0, at[b]: -1.0, is_first: room}, lower=float(b1 - a0))
    for task in tasks if sleep is not None else ():
        assert sleep is not None
        if not task.attended_min:
            continue
        awake = (sleep.start - sleep.end) % DAY or DAY
        wakes = [day * DAY + sleep.end for day in range(begin // DAY - 1, serve // DAY + 2)]
        hours = [(max(w, begin) - begin, min(w + awake, serve) - begin) for w in wakes]
        hours = [(a, b) for a, b in hours if b - a >= task.attended_min]
        if not hours:
            return None
        chosen = [model.binary() for _ in hours]
        model.require(dict.fromkeys(chosen, 1.0), lower=1.0, upper=1.0)
        model.require({at[task.id]: 1.0} | {z: -float(a) for z, (a, _) in zip(chosen, hours, strict=True)}, lower=0.0)
        model.require(
            {at[task.id]: 1.0} | {z: -float(b) for z, (_, b) in zip(chosen, hours, strict=True)},
            upper=-float(task.attended_min),
        )
    solution = model.solve(nodes=100_000)
    return None if solution is None else begin + round(solution.values[first])


def _busy(task: Task, what: str) -> tuple[int, int] | None:
    if what == "cook":
        return (0, task.hands_min) if task.hands_min else None
    return (task.hands_min, task.minutes) if task.occupies == what else None
