"""How far the sugar of a span of days may be off."""

from __future__ import annotations

from datetime import date

from sqlalchemy import func, select
from sqlalchemy.orm import Session, selectinload

from sun_crumb.core.doubt import Interval, spread_of_portions
from sun_crumb.core.doubt.days import EatenOf, share_of, sugar_of_days
from sun_crumb.core.errors import require_choice
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.wish.goals import DEFINITIONS, Definition
from sun_crumb.services.bakes import column_of
from sun_crumb.services.diary import check_span
from sun_crumb.services.errors import DamagedError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.soundness import sound_version
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, BakePortion, Serving, Slip, Version

# So many versions are looked into, those of which most sugar was eaten; the others are as uncertain as these.
MOST_VERSIONS = 60
# What a recipe's sugar may be off by where it can't be looked into any more [share].
USUAL = 0.05


def doubt_of_span(
    database: Database,
    since: date,
    until: date,
    definition: Definition = "free_sugars_who_g",
    who: str = "",
) -> Interval:
    """Return the sugar eaten in a span of days, and between what it lies nine times in ten.

    Raises
    ------
    OutOfDomainError, UnknownChoiceError
        The span is none, or the definition is not known.
    """
    check_span(since, until)
    require_choice(definition, DEFINITIONS, "definition")
    sugar = column_of(definition)
    with database.reading() as session:
        of_whom = [Serving.who == who] if who else []
        rows = session.execute(
            select(
                Bake.version_id,
                func.sum(sugar * Serving.count),
                func.sum(sugar * sugar * Serving.count * Serving.count),
            )
            .join(BakePortion, Serving.portion_id == BakePortion.id)
            .join(Bake, BakePortion.bake_id == Bake.id)
            .where(Serving.deleted_at.is_(None), Serving.eaten_on.between(since, until), *of_whom)
            .group_by(Bake.version_id)
        ).all()
        ranked = sorted(rows, key=lambda row: -row[1])
        shares = _shares(session, [row[0] for row in ranked[:MOST_VERSIONS]], definition, pantry_in(session))
        column = getattr(Slip, definition)
        slips = session.execute(
            select(func.coalesce(func.sum(column), 0.0), func.coalesce(func.sum(column * column), 0.0)).where(
                Slip.deleted_at.is_(None), Slip.eaten_on.between(since, until), *([Slip.who == who] if who else [])
            )
        ).one()
    usual = sum(shares.values()) / len(shares) if shares else USUAL
    eaten = [EatenOf(grams, squares, shares.get(version, usual)) for version, grams, squares in ranked]
    return sugar_of_days(eaten, *slips)


def _shares(session: Session, ids: list[int], definition: Definition, pantry: Pantry) -> dict[int, float]:
    """Return each version's own doubt as a part of its sugar; without those that can't be worked with."""
    found = {}
    query = (
        select(Version).where(Version.id.in_(ids)).options(selectinload(Version.lines), selectinload(Version.recipe))
    )
    for version in session.scalars(query):
        try:
            formula = sound_version(version.recipe, version, pantry)
        except DamagedError:
            continue
        found[version.id] = share_of(spread_of_portions(formula, learned=pantry.learned_sds), definition)
    return found
