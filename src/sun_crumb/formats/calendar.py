"""A schedule as an iCalendar file (RFC 5545), floating local times."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import datetime

from icalendar import Alarm, Calendar, Event


def ics(title: str, events: Iterable[tuple[str, str, datetime, datetime]], made_at: datetime) -> str:
    """Return events as the text of a calendar file: each an id, its words, start and end in local time.

    Parameters
    ----------
    title
        What is baked.
    events
        Ids that stay the same when the schedule is exported again, words, start and end.
    made_at
        When the file is made, in UTC.
    """
    calendar = Calendar()
    calendar.add("prodid", "-//Sun Crumb//bake day//EN")
    calendar.add("version", "2.0")
    calendar.add("x-wr-calname", title)
    for key, words, start, end in events:
        event = Event()
        event.add("uid", f"{key}@sun-crumb")
        event.add("summary", words[:120])
        if len(words) > 120:
            event.add("description", words)
        event.add("dtstamp", made_at)
        event.add("dtstart", start)
        event.add("dtend", end)
        alarm = Alarm()
        alarm.add("action", "DISPLAY")
        alarm.add("description", words[:120])
        alarm.add("trigger", start - start)
        event.add_component(alarm)
        calendar.add_component(event)
    return str(calendar.to_ical().decode("utf-8"))
