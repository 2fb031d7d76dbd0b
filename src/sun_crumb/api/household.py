"""People and their limits; the diary, its sums and files; challenges."""

from __future__ import annotations

from datetime import date, timedelta
from typing import Any, cast

from flask import Blueprint, Response, current_app, request

from sun_crumb.api.contract import endpoint
from sun_crumb.api.current import database
from sun_crumb.api.days import day_in
from sun_crumb.api.schemas.base import DoneOut
from sun_crumb.api.schemas.household import (
    BroughtOut,
    ChallengeOut,
    ChallengesOut,
    DiaryOut,
    EntryOut,
    IntervalOut,
    PeopleOut,
    PersonOut,
    SpanOut,
    UsualSlipsOut,
)
from sun_crumb.core.doubt import Interval
from sun_crumb.core.reference import table
from sun_crumb.core.sugars.limits import age_bands, authorities
from sun_crumb.core.wish.eaters import eaters
from sun_crumb.schemas.household import ChallengeIn, DiaryFileIn, PersonChangesIn, PersonIn, SlipIn
from sun_crumb.services import challenges, diary, diary_doubt, diary_files, people, slips

blueprint = Blueprint("household", __name__)
DONE = {"done": True}


@endpoint(blueprint, "GET", "/people", returns=PeopleOut)
def list_people() -> dict[str, Any]:
    """List the household's people with their limits, and what can be chosen."""
    return {
        "people": people.people(database()),
        "at_table": people.at_table(database()),
        "ages": list(age_bands().values()),
        "authorities": [{"key": key, "name": name} for key, name in authorities().items()],
        "eaters": list(eaters().values()),
    }


@endpoint(blueprint, "POST", "/people", body=PersonIn, returns=PersonOut)
def add_person(body: PersonIn) -> people.Someone:
    """Add a person."""
    return people.add_person(database(), body.model_dump(exclude={"client_key"}), body.client_key)


@endpoint(blueprint, "PATCH", "/people/<int:person_id>", body=PersonChangesIn, returns=PersonOut)
def change_person(person_id: int, body: PersonChangesIn) -> people.Someone:
    """Change some of a person's fields."""
    return people.change_person(database(), person_id, body.model_dump(exclude_unset=True))


@endpoint(blueprint, "DELETE", "/people/<int:person_id>", returns=DoneOut)
def remove_person(person_id: int) -> dict[str, Any]:
    """Take a person out of sight; what they ate stays."""
    people.remove_person(database(), person_id)
    return DONE


@endpoint(blueprint, "POST", "/people/<int:person_id>/restore", returns=PersonOut)
def restore_person(person_id: int) -> people.Someone:
    """Bring a person back."""
    return people.restore_person(database(), person_id)


@endpoint(blueprint, "GET", "/slips/usual", returns=UsualSlipsOut)
def usual_slips() -> dict[str, Any]:
    """List slips that take three taps, and the kinds of sugar a pack may hold."""
    kinds = [{"key": row["key"], "name": row["words"]} for row in table("slip_kinds")]
    return {"slips": list(table("usual_slips")), "kinds": kinds}


@endpoint(blueprint, "POST", "/slips", body=SlipIn, returns=EntryOut)
def add_slip(body: SlipIn) -> slips.Entry:
    """Note something else that was eaten."""
    return slips.add_slip(database(), **body.model_dump())


@endpoint(blueprint, "DELETE", "/slips/<int:slip_id>", returns=DoneOut)
def remove_slip(slip_id: int) -> dict[str, Any]:
    """Take back a slip."""
    slips.remove_slip(database(), slip_id)
    return DONE


@endpoint(blueprint, "POST", "/slips/<int:slip_id>/restore", returns=EntryOut)
def restore_slip(slip_id: int) -> slips.Entry:
    """Bring back a slip."""
    return slips.restore_slip(database(), slip_id)


def _days(since: str, until: str) -> tuple[date, date]:
    last = day_in(until, "until", database().clock.today())
    return day_in(since, "since", last - timedelta(days=27)), last


SPAN = {"since": "first day", "until": "last day", "definition": "which sugar counts", "who": "of one person"}


@endpoint(blueprint, "GET", "/diary", returns=DiaryOut, query=SPAN)
def get_diary(since: str, until: str, definition: str, who: str) -> dict[str, Any]:
    """List what was eaten, the last day first, each day in the order that it was eaten."""
    first, last = _days(since, until)
    return {"entries": diary.entries(database(), first, last, who, cast(Any, definition or "free_sugars_who_g"))}


@endpoint(
    blueprint, "GET", "/diary/sums", returns=SpanOut, query={**SPAN, "by": "day, week, month, person, recipe or time"}
)
def get_sums(since: str, until: str, definition: str, who: str, by: str) -> diary.Span:
    """Sum what was eaten and saved, by day, week, month, person, recipe or time of day."""
    first, last = _days(since, until)
    return diary.span(
        database(), first, last, cast(Any, by or "day"), cast(Any, definition or "free_sugars_who_g"), who
    )


@endpoint(blueprint, "GET", "/diary/doubt", returns=IntervalOut, query=SPAN)
def get_doubt(since: str, until: str, definition: str, who: str) -> Interval:
    """Tell between what the sugar of some days lies, nine times in ten."""
    first, last = _days(since, until)
    return diary_doubt.doubt_of_span(database(), first, last, cast(Any, definition or "free_sugars_who_g"), who)


@blueprint.get("/diary/file")
def diary_file() -> Response:
    """Give the diary of some days as a CSV or JSON file."""
    first, last = _days(request.args.get("since", ""), request.args.get("until", ""))
    found = diary_files.diary_file(database(), first, last, request.args.get("format", "csv"))
    answer = current_app.response_class(found.content, mimetype=found.media_type)
    answer.headers["Content-Disposition"] = f'attachment; filename="{found.name}"'
    return answer


@endpoint(blueprint, "POST", "/diary/file", body=DiaryFileIn, returns=BroughtOut)
def bring_diary(body: DiaryFileIn) -> diary_files.Brought:
    """Bring in a diary file; rows that are there already are not brought twice."""
    return diary_files.bring_diary(database(), body.content)


@endpoint(blueprint, "GET", "/challenges", returns=ChallengesOut)
def list_challenges() -> dict[str, Any]:
    """List challenges with their days and slips."""
    return {"challenges": challenges.challenges(database())}


@endpoint(blueprint, "POST", "/challenges", body=ChallengeIn, returns=ChallengeOut)
def add_challenge(body: ChallengeIn) -> challenges.ChallengeSoFar:
    """Begin a challenge."""
    return challenges.add_challenge(database(), body.name, body.since, body.until, body.who)


@endpoint(blueprint, "DELETE", "/challenges/<int:challenge_id>", returns=DoneOut)
def remove_challenge(challenge_id: int) -> dict[str, Any]:
    """Put a challenge away; its diary stays."""
    challenges.remove_challenge(database(), challenge_id)
    return DONE


@endpoint(blueprint, "POST", "/challenges/<int:challenge_id>/restore", returns=DoneOut)
def restore_challenge(challenge_id: int) -> dict[str, Any]:
    """Bring a challenge back."""
    challenges.restore_challenge(database(), challenge_id)
    return DONE
