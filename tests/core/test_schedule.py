"""Schedules: every rule kept, as late as another solver finds, and honest where there is none."""

from __future__ import annotations

import json
import random
import unittest
from dataclasses import replace
from datetime import datetime, timedelta
from itertools import pairwise

from icalendar import Calendar

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.kitchen.schedule import Schedule, schedule, shared_oven
from sun_crumb.core.kitchen.tasks import Gap, Task, checked
from sun_crumb.core.kitchen.timetable import DAY, Sleep
from sun_crumb.services import schedules
from tests.core.method_cases import FIRST
from tests.support.planned import latest_start

NIGHT = Sleep(22 * 60 + 30, 6 * 60 + 30)
SERVE = 16 * 60


def some_tasks(count: int, chance: random.Random) -> list[Task]:
    """Return tasks at random: chains, branches, ovens and waits."""
    found = []
    for n in range(count):
        kind = chance.choice(["", "", "oven", "fridge", "hob"])
        before = chance.sample(range(n), min(n, chance.choice([0, 1, 1, 2])))
        gaps = tuple(Gap(f"t{k}", chance.choice([0, 0, 5]), chance.choice([None, None, 60, 120])) for k in before)
        wait = chance.choice([10, 20, 30, 60]) if kind else 0
        found.append(
            Task(
                f"t{n}",
                "",
                chance.randint(1, 15),
                wait,
                kind,
                180.0 if kind == "oven" else None,
                gaps,
                kind in ("oven", "hob"),
            )
        )
    return found


class Latest(unittest.TestCase):
    def assertKept(self, tasks: list[Task], found: Schedule, serve: int, sleep: Sleep | None) -> None:
        """Fail unless a schedule keeps every rule."""
        at = {p.id: p for p in found.tasks}
        by = {t.id: t for t in tasks}
        for task in tasks:
            self.assertLessEqual(at[task.id].end, serve)
            self.assertEqual(at[task.id].end - at[task.id].start, task.minutes)
            for gap in task.after:
                stands = at[task.id].start - at[gap.id].end
                self.assertGreaterEqual(stands, gap.least_min)
                if gap.most_min is not None:
                    self.assertLessEqual(stands, gap.most_min)
            if sleep is not None and task.attended_min:
                for minute in (at[task.id].start, at[task.id].start + task.attended_min - 1):
                    self.assertTrue(sleep.end <= minute % DAY < sleep.start, (task, minute))
        for what in ("cook", "oven"):
            busy = sorted(
                (
                    at[k].start + (0 if what == "cook" else t.hands_min),
                    at[k].start + t.hands_min if what == "cook" else at[k].end,
                )
                for k, t in by.items()
                if (t.hands_min if what == "cook" else t.occupies == what)
            )
            for (_, end), (start, _) in pairwise(busy):
                self.assertLessEqual(end, start, what)

    def test_as_late_as_another_solver_finds(self) -> None:
        """Against HiGHS on the same rules; where neither finds a way, both say so."""
        chance = random.Random(4)
        done = 0
        for trial in range(24):
            tasks = some_tasks(chance.randint(3, 6), chance)
            sleep = chance.choice([None, NIGHT])
            found = schedule(tasks, SERVE, sleep)
            if found.feasible:
                done += 1
                with self.subTest(trial):
                    self.assertKept(tasks, found, SERVE, sleep)
                    days = 1 if SERVE - (found.start or 0) <= DAY else 2
                    self.assertEqual(found.start, latest_start(tasks, SERVE, sleep, days))
                    self.assertTrue(found.is_proven)
        self.assertGreater(done, 15)

    def test_thirty_tasks(self) -> None:
        tasks = some_tasks(30, random.Random(12))
        tasks = [
            Task(
                t.id,
                t.text,
                t.hands_min,
                t.wait_min,
                t.occupies,
                t.oven_c,
                tuple(Gap(g.id, g.least_min) for g in t.after),
                t.is_watched,
            )
            for t in tasks
        ]
        found = schedule(tasks, 20 * 60, NIGHT)
        self.assertTrue(found.feasible)
        self.assertKept(tasks, found, 20 * 60, NIGHT)

    def test_one_oven_and_one_cook(self) -> None:
        bake = [Task(k, "", 5, 30, "oven", 180.0, (), True) for k in ("a", "b")]
        found = schedule(bake, SERVE)
        self.assertEqual(found.makespan_min, 65)

    def test_a_second_oven_takes_a_second_bake(self) -> None:
        cakes = [Task(k, k, 5, 40, "oven", heat, (), True) for k, heat in (("sponge", 180.0), ("meringue", 110.0))]
        one, two = schedule(cakes, SERVE), schedule(cakes, SERVE, ovens=2)
        self.assertEqual(SERVE - (one.start or 0), 85)
        # Hands first, one cake after the other; then both bake.
        self.assertEqual(SERVE - (two.start or 0), 50)
        with self.assertRaises(OutOfDomainError) as caught:
            schedule(cakes, SERVE, ovens=0)
        self.assertEqual(caught.exception.field, "ovens")

    def test_nobody_works_asleep_but_dough_may_chill(self) -> None:
        tasks = [
            Task("mix", "", 20),
            Task("chill", "", 1, 480, "fridge", None, (Gap("mix", 0, 10),)),
            Task("bake", "", 2, 30, "oven", 180.0, (Gap("chill", 0, 30),), True),
        ]
        found = schedule(tasks, 8 * 60, NIGHT)
        self.assertTrue(found.feasible)
        self.assertLess(found.start or 0, 0)
        self.assertKept(tasks, found, 8 * 60, NIGHT)

    def test_what_clashes_and_what_would_go(self) -> None:
        tasks = [Task("mix", "", 20), Task("bake", "", 2, 58, "oven", 180.0, (Gap("mix"),), True)]
        found = schedule(tasks, SERVE, NIGHT, now=SERVE - 45)
        self.assertFalse(found.feasible)
        self.assertEqual(found.clashes, ("there is too little time from now",))
        self.assertEqual(found.earliest, SERVE + 35)
        early = schedule(tasks, 7 * 60 + 10, NIGHT, now=5 * 60)
        self.assertTrue(any("hours of sleep" in told for told in early.clashes), early.clashes)
        self.assertEqual(schedule(tasks, SERVE, None, now=SERVE + 5).clashes, ("the time of serving is past",))

    def test_what_the_cook_moved_stays_and_the_rest_keeps_every_rule(self) -> None:
        chance, moved = random.Random(11), 0
        for _ in range(40):
            tasks = some_tasks(6, chance)
            free = schedule(tasks, SERVE, NIGHT)
            if not free.feasible:
                continue
            one = chance.choice(free.tasks)
            pins = {one.id: one.start - chance.choice([5, 15, 40]), "gone": 3}
            found = schedule(tasks, SERVE, NIGHT, None, pins)
            if not found.feasible:
                continue
            moved += 1
            self.assertEqual(next(p.start for p in found.tasks if p.id == one.id), pins[one.id])
            self.assertKept(tasks, found, SERVE, NIGHT)
            self.assertLessEqual(found.start or 0, free.start or 0)
        self.assertGreater(moved, 10)
        late = schedule([Task("a", "", 10), Task("b", "", 10, after=(Gap("a"),))], SERVE, None, None, {"a": SERVE - 15})
        self.assertEqual(late.clashes, ("a step can't be where you moved it",))

    def test_two_bakes_of_one_day_share_cook_and_oven(self) -> None:
        read = schedules.asked(FIRST[0].text, "2031-03-09T16:00", now="any")
        other = tuple(
            replace(t, id=f"b.{t.id}", after=tuple(replace(g, id=f"b.{g.id}") for g in t.after)) for t in read.tasks
        )
        both = list(shared_oven(read.tasks, other))
        found, alone = schedule(both, SERVE), schedule(read.tasks, SERVE)
        self.assertTrue(found.feasible)
        self.assertKept(both, found, SERVE, None)
        self.assertLess(found.start or 0, alone.start or 0)
        with self.assertRaises(OutOfDomainError):
            shared_oven(read.tasks, read.tasks)

    def test_what_cannot_be_planned_says_why(self) -> None:
        for tasks, field in (
            ([], "tasks"), ([Task("a", "", 1), Task("a", "", 1)], "id"), ([Task("a", "", 1, after=(Gap("b"),))], "after"),
            ([Task("a", "", 1, after=(Gap("b"),)), Task("b", "", 1, after=(Gap("a"),))], "after"), ([Task("a", "", -1)], "minutes"),
        ):  # fmt: skip
            with self.assertRaises(OutOfDomainError) as caught:
                checked(tasks)
            self.assertEqual(caught.exception.field, field)


class OfRecipes(unittest.TestCase):
    def test_a_cheesecake_is_begun_the_evening_before(self) -> None:
        asked = schedules.asked(FIRST[7].text, "2027-01-09T16:00", "22:30-06:30", "any")
        told = schedules.told(asked, schedules.planned(asked))
        self.assertTrue(told["feasible"])
        self.assertTrue(told["start"].startswith("2027-01-08T2"))

    def test_the_calendar_reads_back(self) -> None:
        """By icalendar (RFC 5545): the same tasks at the same times, each with its alarm."""
        asked = schedules.asked(FIRST[0].text, "2027-01-09T16:00", None, "any")
        found = schedules.planned(asked)
        events = Calendar.from_ical(schedules.calendar(asked, found)).walk("VEVENT")
        self.assertEqual(len(events), len(asked.tasks))
        starts = {str(e["uid"]): e.decoded("dtstart") for e in events}
        midnight = datetime(2027, 1, 9)
        for placed in found.tasks:
            self.assertEqual(
                starts[f"honey-spice-cake-20270109-{placed.id}@sun-crumb"], midnight + timedelta(minutes=placed.start)
            )

    def test_tasks_as_json(self) -> None:
        text = json.dumps(
            {
                "tasks": [
                    {"id": "mix", "hands_min": 10},
                    {
                        "id": "bake",
                        "hands_min": 1,
                        "wait_min": 40,
                        "oven_c": 180,
                        "after": [{"id": "mix", "gap_max": 15}],
                    },
                ]
            }
        )
        asked = schedules.asked(text, "2027-01-09T16:00", None, "any")
        self.assertEqual(schedules.told(asked, schedules.planned(asked))["start"], "2027-01-09T15:09")
        for bad, field in (
            ('{"tasks": 5}', "tasks"),
            ("{oops", "tasks"),
            ('{"tasks": [{"id": "a", "hands_min": "long"}]}', "hands_min"),
        ):
            with self.assertRaises(OutOfDomainError) as caught:
                schedules.asked(bad, "2027-01-09T16:00")
            self.assertEqual(caught.exception.field, field)
        for serve, sleep, field in (("tomorrow", None, "serve"), ("2027-01-09T16:00", "25:00-3", "sleep")):
            with self.assertRaises(OutOfDomainError) as caught:
                schedules.asked(text, serve, sleep)
            self.assertEqual(caught.exception.field, field)


if __name__ == "__main__":
    unittest.main()
