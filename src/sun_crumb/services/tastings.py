"""Tastings of a bake, what probably caused what they tell, and the next trial."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date
from typing import Literal

from sqlalchemy.orm import Session

from sun_crumb.core.errors import CoreError, OutOfDomainError
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.tasting.causes import Cause, causes, facts_of
from sun_crumb.core.tasting.sheet import checked, together, words_of
from sun_crumb.core.tasting.trial import Trial as NextTrial
from sun_crumb.core.tasting.trial import trial
from sun_crumb.services.as_baked import AsBaked, as_baked, over_told
from sun_crumb.services.bakes import FEELS, BakeRecord, bake_in, record_of
from sun_crumb.services.clock import now, past_day
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.learning import OVEN, learn, learned_in
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import settings_in
from sun_crumb.services.recipes import keep_trial
from sun_crumb.services.soundness import sound_method
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, Tasting, Version

State = Literal["warm", "cool", "next_day"]


@dataclass(frozen=True, slots=True)
class Tasted:
    """One taster's sheet, and what it says in words."""

    id: int
    bake_id: int
    tasted_on: date
    who: str
    state: str
    is_blind: bool
    scores: dict[str, int]
    said: tuple[str, ...]
    words: str


@dataclass(frozen=True, slots=True)
class WhyCause:
    """A cause with its trial in numbers; ``problem`` says why there is none."""

    cause: Cause
    trial: NextTrial | None
    problem: str


@dataclass(frozen=True, slots=True)
class Judged:
    """A bake with all its sheets, the mean of them, and what probably caused what is off."""

    bake: BakeRecord
    tastings: tuple[Tasted, ...]
    mean: dict[str, float]
    said: tuple[str, ...]
    causes: tuple[WhyCause, ...]


def taste(
    database: Database,
    bake_id: int,
    tasted_on: date,
    scores: dict[str, int],
    *,
    who: str = "",
    state: State = "cool",
    is_blind: bool = False,
    words: str = "",
    client_key: str | None = None,
    learns: bool = True,
) -> Tasted:
    """Keep a taster's sheet, learn from it, and return it. The same *client_key* again returns the first.

    Who keeps many at once may leave the learning to learn_anew.
    """
    scores = checked(scores)
    content = [bake_id, tasted_on.isoformat(), scores, who, state, is_blind, words]
    with database.transaction() as session:
        if made := made_before(session, client_key, "tasting", content):
            found = session.get(Tasting, made[0])
            if found is None or found.deleted_at is not None:
                raise taken_away("tasting")
            return _tasted(found)
        bake = bake_in(session, bake_id)
        past_day(session, tasted_on, "tasted_on")
        if tasted_on < bake.baked_on:
            raise OutOfDomainError(
                f"it was baked on {bake.baked_on.isoformat()}, it can't have been tasted before", field="tasted_on"
            )
        row = Tasting(
            bake_id=bake_id,
            tasted_on=tasted_on,
            who=who.strip(),
            state=state,
            is_blind=is_blind,
            scores=scores,
            words=words.strip(),
            created_at=now(session),
        )
        session.add(row)
        session.flush()
        note(session, client_key, "tasting", content, [row.id])
        if learns:
            learn(session)
        return _tasted(row)


def remove_tasting(database: Database, tasting_id: int) -> None:
    """Take back a sheet and what it taught; restore_tasting undoes it."""
    with database.transaction() as session:
        _tasting(session, tasting_id).deleted_at = now(session)
        session.flush()
        learn(session)


def restore_tasting(database: Database, tasting_id: int) -> Tasted:
    """Bring back a sheet, and what it taught."""
    with database.transaction() as session:
        row = _tasting(session, tasting_id)
        row.deleted_at = None
        session.flush()
        learn(session)
        return _tasted(row)


def _tasting(session: Session, tasting_id: int) -> Tasting:
    row = session.get(Tasting, tasting_id)
    if row is None:
        raise NotFoundError(f"no tasting {tasting_id}", field="tasting_id")
    return row


def _tasted(row: Tasting) -> Tasted:
    scores = dict(row.scores)
    return Tasted(
        id=row.id,
        bake_id=row.bake_id,
        tasted_on=row.tasted_on,
        who=row.who,
        state=row.state,
        is_blind=row.is_blind,
        scores=scores,
        said=words_of(scores),
        words=row.words,
    )


def judged(database: Database, bake_id: int) -> Judged:
    """Return a bake's sheets, their mean, and the causes of what is off, each with the next trial in numbers."""
    with database.reading() as session:
        row = bake_in(session, bake_id)
        sheets = tuple(_tasted(t) for t in row.tastings if t.deleted_at is None)
        mean = together(one.scores for one in sheets)
        return Judged(record_of(session, row), sheets, mean, words_of(mean), _whys(session, row, mean))


def _whys(session: Session, row: Bake, mean: dict[str, float]) -> tuple[WhyCause, ...]:
    if not mean:
        return ()
    pantry = pantry_in(session)
    known = as_baked(row, pantry)
    learned = learned_in(session)
    facts = facts_of(
        [x for x in known.original.lines if x.component == known.component],
        [x for x in known.baked.lines if x.component == known.component],
        known.family,
        minutes=over_told(row.minutes, sound_method(row.version.recipe).bake_minutes),
        oven_c=learned[OVEN].mean if OVEN in learned else settings_in(session).oven_offset_c,
        feel=FEELS.get(row.feel),
        learned={key: one.mean for key, one in learned.items()},
    )
    return tuple(_why(cause, known) for cause in causes(mean, facts))


def _why(cause: Cause, known: AsBaked) -> WhyCause:
    try:
        return WhyCause(cause, _trial(cause, known), "")
    except CoreError as error:
        return WhyCause(cause, None, error.message)


def _trial(cause: Cause, known: AsBaked) -> NextTrial:
    return trial(known.original, known.planned, known.goals, cause.changes, known.pantry, cup_standard(known.cup))


@dataclass(frozen=True, slots=True)
class Accepted:
    """A trial that was accepted: the recipe, the new version, and what to change at the oven."""

    recipe_id: int
    version_id: int
    number: int
    minutes: int
    degrees: int


def accept_trial(database: Database, bake_id: int, cause: str, client_key: str | None = None) -> Accepted:
    """Keep the trial of a cause as a new version of the recipe, hung on the version that was baked."""
    content = [bake_id, cause]
    with database.transaction() as session:
        row = bake_in(session, bake_id)
        mean = together(dict(t.scores) for t in row.tastings if t.deleted_at is None)
        why = next((w for w in _whys(session, row, mean) if w.cause.key == cause), None)
        if why is None or why.trial is None:
            raise NotFoundError(why.problem if why else f"nothing here was caused by {cause!r}", field="cause")
        if made := made_before(session, client_key, "trial", content):
            version = session.get(Version, made[0])
            if version is None:
                raise taken_away("version")
        else:
            version = keep_trial(session, row.version, why.trial, _changed_words(why))
            note(session, client_key, "trial", content, [version.id])
        return Accepted(version.recipe_id, version.id, version.number, why.trial.minutes, why.trial.degrees)


def _changed_words(why: WhyCause) -> str:
    found = why.trial
    assert found is not None
    if found.minutes or found.degrees:
        return f"{found.minutes:+d} minutes" if found.minutes else f"{found.degrees:+d} °C"
    told = [f"{m.name} {_short(m.before_g)} → {_short(m.after_g)} g" for m in found.moved[:3]]
    return ", ".join(told) if told else why.cause.trial_words


def _short(grams: float) -> str:
    return f"{grams:.0f}" if grams >= 10 else f"{grams:.2g}"
