"""Challenges: an aim for some days, told kindly by the slips of those days."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, timedelta

from sqlalchemy import select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.services.clock import now
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.slips import Entry, of_slip
from sun_crumb.store import Database
from sun_crumb.store.tables import Challenge, Slip

# Less free sugar than this is no slip [g] (judgement).
SLIP_FROM_G = 0.5


@dataclass(frozen=True, slots=True)
class ChallengeSoFar:
    """A challenge: its days so far, those without a slip, and the slips, told kindly."""

    id: int
    name: str
    who: str
    since: date
    until: date
    days_so_far: int
    days_to_go: int
    clear_days: int
    slips: tuple[Entry, ...]
    words: str


def add_challenge(database: Database, name: str, since: date, until: date, who: str = "") -> ChallengeSoFar:
    """Begin a challenge: an aim for some days, a year at most."""
    if not name.strip():
        raise OutOfDomainError("say what the aim is", field="name")
    if not since <= until or (until - since).days > 366:
        raise OutOfDomainError("a challenge goes from one day to a later one, a year at most", field="until")
    with database.transaction() as session:
        row = Challenge(name=name.strip(), who=who.strip(), since=since, until=until, created_at=now(session))
        session.add(row)
        session.flush()
        number = row.id
    return next(one for one in challenges(database) if one.id == number)


def challenges(database: Database) -> list[ChallengeSoFar]:
    """Return the challenges that are not put away, the last first."""
    today = database.clock.today()
    with database.reading() as session:
        rows = session.scalars(
            select(Challenge).where(Challenge.deleted_at.is_(None)).order_by(Challenge.since.desc())
        ).all()
        return [_kept(session, row, today) for row in rows]


def _kept(session: Session, row: Challenge, today: date) -> ChallengeSoFar:
    last = min(today, row.until)
    slips = session.scalars(
        select(Slip)
        .where(
            Slip.deleted_at.is_(None),
            Slip.eaten_on.between(row.since, last),
            Slip.free_sugars_who_g > SLIP_FROM_G,
            *([Slip.who == row.who] if row.who else []),
        )
        .order_by(Slip.eaten_on)
    ).all()
    so_far = max((last - row.since).days + 1, 0)
    clear = so_far - len({slip.eaten_on for slip in slips})
    to_go = max((row.until - max(today, row.since - timedelta(days=1))).days, 0)
    words = (
        f"{clear} of {so_far} days without a slip" + (f", {to_go} to go." if to_go else ".")
        if so_far
        else f"begins in {(row.since - today).days} days."
    )
    return ChallengeSoFar(
        id=row.id,
        name=row.name,
        who=row.who,
        since=row.since,
        until=row.until,
        days_so_far=so_far,
        days_to_go=to_go,
        clear_days=clear,
        slips=tuple(of_slip(slip) for slip in slips),
        words=words,
    )


def remove_challenge(database: Database, challenge_id: int) -> None:
    """Put a challenge away; its diary stays. restore_challenge undoes it."""
    with database.transaction() as session:
        _challenge(session, challenge_id).deleted_at = now(session)


def restore_challenge(database: Database, challenge_id: int) -> None:
    """Bring a challenge back."""
    with database.transaction() as session:
        _challenge(session, challenge_id).deleted_at = None


def _challenge(session: Session, challenge_id: int) -> Challenge:
    row = session.get(Challenge, challenge_id)
    if row is None:
        raise NotFoundError(f"no challenge {challenge_id}", field="challenge_id")
    return row
