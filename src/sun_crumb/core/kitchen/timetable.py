"""Tasks in time as a constraint model: the only place that knows the constraint solver."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

from sun_crumb.core.kitchen.tasks import Task

if TYPE_CHECKING:
    from ortools.sat.python import cp_model

DAY = 1440
# By work done, not by the clock: the same schedule on a busy machine.
MOST_WORK = 20.0


@dataclass(frozen=True, slots=True)
class Sleep:
    """The hours in which nobody works: from and to, in minutes of the day."""

    start: int
    end: int


@dataclass(frozen=True, slots=True)
class Placed:
    """A task in time: start and end in minutes from the midnight before serving; negative the day before."""

    id: str
    start: int
    end: int


class Timetable:
    """When each task begins, between *begin* and *serve* [min]: one cook, each of the *ovens* for one bake, one pan at a time, waking hours.

    The solver's library takes half a second to load: it is loaded when a timetable is first made.
    """

    def __init__(
        self,
        tasks: Sequence[Task],
        begin: int,
        serve: int,
        sleep: Sleep | None,
        pins: Mapping[str, int] | None = None,
        ovens: int = 1,
    ) -> None:
        from ortools.sat.python import cp_model

        self.cp, self.tasks, self.begin, self.serve = cp_model, tasks, begin, serve
        self.model = cp_model.CpModel()
        self.hours: list[tuple[int, int]] | None = None
        self.pins = dict(pins or {})
        self.possible = all(task.minutes <= serve - begin for task in tasks)
        if not self.possible:
            return
        self.start = {t.id: self.model.new_int_var(begin, serve - t.minutes, t.id) for t in tasks}
        minutes = {t.id: t.minutes for t in tasks}
        for key, at in self.pins.items():
            self.model.add(self.start[key] == at)
        for task in tasks:
            for gap in task.after:
                end = self.start[gap.id] + minutes[gap.id]
                self.model.add(self.start[task.id] >= end + gap.least_min)
                if gap.most_min is not None:
                    self.model.add(self.start[task.id] <= end + gap.most_min)
        for what in ("cook", "oven", "hob"):
            busy = [i for t in tasks if (i := self._busy(t, what)) is not None]
            if what == "oven" and ovens > 1:
                self.model.add_cumulative(busy, [1] * len(busy), ovens)
            else:
                self.model.add_no_overlap(busy)
        self.hours = None if sleep is None else _waking(begin, serve, sleep)
        if self.hours is not None:
            self._awake(self.hours)

    def _busy(self, task: Task, what: str) -> cp_model.IntervalVar | None:
        """Return when a task needs something; None where it doesn't."""
        start = self.start[task.id]
        if what == "cook":
            return self.model.new_fixed_size_interval_var(start, task.hands_min, "") if task.hands_min else None
        if task.occupies != what:
            return None
        # Hands first: what waits is in the oven, or on the heat, behind them.
        return self.model.new_fixed_size_interval_var(start + task.hands_min, task.wait_min, "")

    def _awake(self, hours: Sequence[tuple[int, int]]) -> None:
        for task in self.tasks:
            lasts = task.attended_min
            if not lasts:
                continue
            inside = []
            for a, b in hours:
                if b - a >= lasts:
                    is_in = self.model.new_bool_var("")
                    self.model.add(self.start[task.id] >= a).only_enforce_if(is_in)
                    self.model.add(self.start[task.id] <= b - lasts).only_enforce_if(is_in)
                    inside.append(is_in)
            if not inside:
                self.possible = False
                return
            self.model.add_exactly_one(inside)

    def latest(self) -> tuple[tuple[Placed, ...], bool] | None:
        """Return the tasks placed so that the first begins as late as it can, then each as late as it can; and whether the first is proven."""
        if not self.possible:
            return None
        first = self.model.new_int_var(self.begin, self.serve, "first")
        self.model.add_min_equality(first, list(self.start.values()))
        self.model.maximize(first)
        solver = self._solver()
        status = solver.solve(self.model)
        if status not in (self.cp.OPTIMAL, self.cp.FEASIBLE):
            return None
        found = {key: solver.value(start) for key, start in self.start.items()}
        found = self._later(found)
        placed = tuple(Placed(t.id, found[t.id], found[t.id] + t.minutes) for t in self.tasks)
        return placed, status == self.cp.OPTIMAL

    def _later(self, start: dict[str, int]) -> dict[str, int]:
        """Return every task as late as what follows it lets it be, from the last to the first; in the same turn at cook, oven and heat."""
        by_id = {task.id: task for task in self.tasks}
        found = dict(start)
        for task in sorted(self.tasks, key=lambda t: start[t.id] + t.minutes, reverse=True):
            if task.id in self.pins:
                continue
            latest = self.serve - task.minutes
            for other in self.tasks:
                gap = next((g for g in other.after if g.id == task.id), None)
                if gap is not None:
                    latest = min(latest, found[other.id] - gap.least_min - task.minutes)
                if other is not task and start[other.id] >= start[task.id]:
                    latest = min(latest, *(found[other.id] + b0 - a1 for a1, b0 in _shared(task, other)), latest)
            for gap in task.after:
                if gap.most_min is not None:
                    # What comes before may only move later too.
                    latest = min(latest, start[gap.id] + by_id[gap.id].minutes + gap.most_min)
            if self.hours is not None and task.attended_min:
                fits = (min(latest, b - task.attended_min) for a, b in self.hours if a <= latest)
                latest = max(
                    (at for at in fits if any(a <= at and at + task.attended_min <= b for a, b in self.hours)),
                    default=0,
                )
            found[task.id] = max(latest, start[task.id])
        return found

    def earliest(self) -> int | None:
        """Return when all can be ready at the earliest [min]; None where it can't."""
        if not self.possible:
            return None
        last = self.model.new_int_var(self.begin, self.serve, "last")
        self.model.add_max_equality(last, [self.start[t.id] + t.minutes for t in self.tasks])
        self.model.minimize(last)
        solver = self._solver()
        if solver.solve(self.model) not in (self.cp.OPTIMAL, self.cp.FEASIBLE):
            return None
        return int(solver.value(last))

    def _solver(self) -> cp_model.CpSolver:
        solver = self.cp.CpSolver()
        solver.parameters.num_workers = 1
        solver.parameters.random_seed = 7
        solver.parameters.max_deterministic_time = MOST_WORK
        return solver


def _shared(one: Task, other: Task) -> list[tuple[int, int]]:
    """Return what both need: until when the one does and from when the other does, in minutes from their starts."""
    found = [(one.hands_min, 0)] if one.hands_min and other.hands_min else []
    if one.occupies == other.occupies and one.occupies in ("oven", "hob"):
        found.append((one.minutes, other.hands_min))
    return found


def _waking(begin: int, serve: int, sleep: Sleep) -> list[tuple[int, int]]:
    """Return the waking hours from *begin* to *serve* [min]."""
    found: list[tuple[int, int]] = []
    length = (sleep.start - sleep.end) % DAY or DAY
    for day in range(begin // DAY - 1, serve // DAY + 2):
        wakes = day * DAY + sleep.end
        a, b = max(wakes, begin), min(wakes + length, serve)
        if a < b:
            found.append((a, b))
    return found
