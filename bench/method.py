"""Times of the method and the clock: reading a method, a plan's method, a schedule of a recipe's steps and of thirty tasks.

Run as ``python -m bench.method``.
"""

from __future__ import annotations

import random
from statistics import median
from time import perf_counter

from tests.core.method_cases import FIRST, SECOND, THIRD
from tests.core.test_schedule import some_tasks

from sun_crumb.core.kitchen.schedule import schedule
from sun_crumb.core.kitchen.tasks import tasks_of
from sun_crumb.core.kitchen.timetable import Sleep
from sun_crumb.core.method import read_method
from sun_crumb.core.method.lines import lines_of_reading
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import method_of, read_recipe
from sun_crumb.core.wish import Goals
from sun_crumb.services import bake_day, kitchen

NIGHT = Sleep(22 * 60 + 30, 6 * 60 + 30)


def timed(name: str, times: list[float]) -> None:
    """Print the median and the 95th percentile of some times [ms]."""
    times.sort()
    print(f"{name:32} median {median(times):7.1f} ms   95 % within {times[int(0.95 * (len(times) - 1))]:7.1f} ms")


def main() -> None:
    """Time each, warm, once round first."""
    cases = [case.text for case in (*FIRST, *SECOND, *THIRD)]
    reading, planning, clock = [], [], []
    for turn in range(3):
        for text in cases:
            read = read_recipe(text, shipped_pantry())
            lines, steps = lines_of_reading(read, shipped_pantry()), method_of(read).steps
            start = perf_counter()
            found = read_method(steps, lines)
            once = perf_counter() - start
            start = perf_counter()
            schedule(tasks_of(found.steps), 16 * 60, NIGHT)
            if turn:
                reading.append(1000 * once)
                clock.append(1000 * (perf_counter() - start))
    for text in (cases[n] for n in (0, 1, 3, 5, 6, 9, 11)):
        formula, read, cup = kitchen.read_formula(text)
        plan = kitchen.plan(formula, Goals(path="blend", cut=0.4), cup)
        start = perf_counter()
        bake_day.steps_of_plan(formula, method_of(read).steps, plan, cup)
        planning.append(1000 * (perf_counter() - start))
    thirty = []
    for seed in range(20):
        tasks = some_tasks(30, random.Random(seed))
        start = perf_counter()
        schedule(tasks, 20 * 60, NIGHT)
        thirty.append(1000 * (perf_counter() - start))
    timed("a method read", reading)
    timed("a plan's method", planning)
    timed("a recipe's schedule", clock)
    timed("a schedule of 30 tasks", thirty)


if __name__ == "__main__":
    main()
