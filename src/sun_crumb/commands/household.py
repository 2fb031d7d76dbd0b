"""Commands over a household's own data: tastings, what was eaten, sums, what was learned."""

from __future__ import annotations

import argparse
from collections.abc import Mapping
from datetime import date
from typing import Any

from pydantic import BaseModel, ValidationError

from sun_crumb.commands.shared import Adds, own_database, pairs, plain
from sun_crumb.core.errors import CoreError, OutOfDomainError
from sun_crumb.core.wish import DEFINITIONS

# What sums can be of (services/diary.py, which is not loaded for a command that needs none of it).
BY = ("day", "week", "month", "person", "recipe", "time")


def _checked(shape: type[BaseModel], given: Mapping[str, Any]) -> Any:
    from sun_crumb.schemas.words import words_of

    try:
        return shape.model_validate({k: v for k, v in given.items() if v is not None})
    except ValidationError as error:
        words, field = words_of(error)
        raise CoreError(words, field=field) from None


def _minutes(text: str | None) -> int | None:
    if text is None:
        return None
    hours, _, minutes = text.partition(":")
    if not (hours.isdigit() and minutes.isdigit() and int(hours) < 24 and int(minutes) < 60):
        raise OutOfDomainError(f"{text!r} is no time of day; write it as 16:30", field="at")
    return 60 * int(hours) + int(minutes)


def _day(text: str | None, field: str, usual: date) -> date:
    if text is None:
        return usual
    try:
        return date.fromisoformat(text)
    except ValueError:
        raise OutOfDomainError(f"{text!r} is no day; write it as 2026-03-09", field=field) from None


def _taste(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.tastings import JudgedOut
    from sun_crumb.core.tasting.sheet import aspects
    from sun_crumb.schemas.tastings import TastingIn
    from sun_crumb.services import tastings

    database = own_database()
    if arguments.scores:
        scores: dict[str, Any] = {}
        for key, word in pairs(arguments.scores).items():
            known = {words: value for value, words in aspects()[key].words.items()} if key in aspects() else {}
            scores[key] = known.get(word, word)
        body = _checked(
            TastingIn,
            {
                "bake_id": arguments.bake,
                "tasted_on": _day(arguments.on, "on", database.clock.today()),
                "scores": scores,
                "who": arguments.who,
                "state": arguments.state,
                "is_blind": arguments.blind,
                "words": arguments.words,
            },
        )
        tastings.taste(
            database,
            body.bake_id,
            body.tasted_on,
            body.scores,
            who=body.who,
            state=body.state,
            is_blind=body.is_blind,
            words=body.words,
        )
    return plain(JudgedOut, tastings.judged(database, arguments.bake))


def _log(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.days import ServingOut
    from sun_crumb.api.schemas.household import EntryOut
    from sun_crumb.schemas.days import ServingIn
    from sun_crumb.schemas.household import SlipIn
    from sun_crumb.services import ledger, slips

    database = own_database()
    day, at = _day(arguments.on, "on", database.clock.today()), _minutes(arguments.at)
    common = {"eaten_on": day, "who": arguments.who, "eaten_at": at}
    if arguments.slip is not None:
        given = pairs(arguments.given)
        names = {"grams": "grams", "sugars": "sugars_g", "kcal": "energy_kcal", "food": "ingredient", "kind": "kind"}
        if unknown := set(given) - set(names):
            raise OutOfDomainError(f"{sorted(unknown)[0]!r} is none of {', '.join(names)}", field="given")
        slip = _checked(SlipIn, common | {"name": arguments.slip} | {names[k]: v for k, v in given.items()})
        return plain(EntryOut, slips.add_slip(database, **slip.model_dump()))
    if not arguments.given:
        raise OutOfDomainError(
            "say the number of a bake's portion (sun-crumb bakes lists them), or --slip NAME", field="portion"
        )
    body = _checked(ServingIn, common | {"bake_id": arguments.given[0], "count": arguments.count})
    return plain(
        ServingOut, ledger.eat(database, body.bake_id, body.eaten_on, body.count, body.who, None, body.eaten_at)
    )


def _ledger(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.household import SpanOut
    from sun_crumb.services import diary

    database = own_database()
    last = _day(arguments.to, "to", database.clock.today())
    first = _day(arguments.since, "from", last.replace(day=1))
    return plain(SpanOut, diary.span(database, first, last, arguments.by, arguments.definition, arguments.who or ""))


def _learned(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.tastings import LearnedOut
    from sun_crumb.services import learning

    database = own_database()
    if arguments.forget:
        learning.forget(database)
    return plain(LearnedOut, {"lessons": learning.learned(database)})


def _bakes(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.tastings import BakeListOut
    from sun_crumb.services import bakes

    return plain(BakeListOut, bakes.list_bakes(own_database(), 0, arguments.count))


def _panel(arguments: argparse.Namespace) -> Any:
    from sun_crumb.api.schemas.tastings import PanelsOut
    from sun_crumb.services import progress

    return plain(PanelsOut, progress.panels_of(own_database(), arguments.version))


def add_commands(command: Adds) -> None:
    """Add the commands over a household's own data."""
    taste = command("taste", _taste, "note a taster's sheet for a bake; give its sheets and what probably caused what")
    taste.add_argument("bake", type=int, help="the bake's number, as sun-crumb bakes lists it")
    taste.add_argument("scores", nargs="*", help="sweetness=-1 crumb=gummy rise=0 liked=gladly; none: only tell")
    taste.add_argument("--who")
    taste.add_argument("--state", choices=("warm", "cool", "next_day"))
    taste.add_argument("--blind", action="store_true", help="the taster did not know what it was")
    taste.add_argument("--words", help="in words of their own")
    taste.add_argument("--on", help="the day; today by default")
    log = command("log", _log, "note portions eaten, or with --slip something else")
    log.add_argument(
        "given",
        nargs="*",
        help="the number of a bake's portion; for a slip grams=17 sugars=3.7, or grams=10 food=honey",
    )
    log.add_argument("--slip", metavar="NAME", help="what it was")
    log.add_argument("--count", type=float, default=1.0)
    log.add_argument("--who")
    log.add_argument("--on", help="the day; today by default")
    log.add_argument("--at", help="the time of day: 16:30")
    ledger = command("ledger", _ledger, "sum what was eaten and saved")
    ledger.add_argument("--from", dest="since", help="the first day; the month's first by default")
    ledger.add_argument("--to", help="the last day; today by default")
    ledger.add_argument("--by", choices=BY, default="day")
    ledger.add_argument("--definition", choices=sorted(DEFINITIONS), default="free_sugars_who_g")
    ledger.add_argument("--who")
    learned = command("learned", _learned, "what tastings have taught, with its doubt")
    learned.add_argument("--forget", action="store_true", help="forget it; the tastings stay")
    command("bakes", _bakes, "list the last bakes with their portions").add_argument("--count", type=int, default=20)
    panel = command("panel", _panel, "a version's nutrition panels by US and EU rules, an estimate")
    panel.add_argument("version", type=int, help="the version's number in the store, as its recipe lists it")
