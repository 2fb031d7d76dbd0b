"""Weighing in at the worktop, a use case at a time: look into the bowl, weigh, go on from what is off, begin again."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.errors import CoreError
from sun_crumb.core.kitchen.weighing import checked, is_off, scaled, tolerance_g
from sun_crumb.schemas.worktop import ChoiceIn, WeighIn
from sun_crumb.services.bowl import Bowl, as_it_is, bowl_of, follow, free_sugar, keep, key_of, open_row, target_in
from sun_crumb.services.clock import now
from sun_crumb.services.ways_on import Question, question_of, rebalanced
from sun_crumb.services.worktop import BakeDay, bake_day
from sun_crumb.store import Database


class NothingAskedError(CoreError):
    """There is no weighing that a choice is asked for."""

    code = "nothing_asked"


@dataclass(frozen=True, slots=True)
class ToWeigh:
    """One food of one step: what goes in [g] and how that is told, what the plan said, what was weighed, and whether it goes in a little at a time."""

    position: int
    step: int
    ingredient: str
    name: str
    component: str
    target_g: float
    planned_g: float
    tolerance_g: float
    told: str
    weighed_g: float | None
    by_little: bool = False


@dataclass(frozen=True, slots=True)
class WeighedIn:
    """A bake under way: every food of every step, what is still asked, and what a portion holds of free sugar as it was weighed [g]."""

    recipe_id: int
    version_id: int
    lines: tuple[ToWeigh, ...]
    question: Question | None
    weighed: int
    free_sugars_who_g: float
    planned_free_sugars_who_g: float


def weigh_in(database: Database, recipe_id: int, version_id: int) -> WeighedIn:
    """Return what is in the bowl of a version's bake, and what is still to come.

    Raises
    ------
    NotFoundError, NoMethodError
        There is no such version, or it tells no method.
    """
    with database.reading() as session:
        return _told(
            bowl_of(session, recipe_id, version_id, open_row(session, version_id, database)), recipe_id, version_id
        )


def followed_day(database: Database, recipe_id: int, version_id: int) -> BakeDay:
    """Return a version's bake day with the amounts that follow what is in the bowl: the words of a step say what is to go in.

    Raises
    ------
    NotFoundError, NoMethodError
        There is no such version, or it tells no method.
    """
    with database.reading() as session:
        row = open_row(session, version_id, database)
        bowl = bowl_of(session, recipe_id, version_id, row) if row and row.targets else None
    follows: dict[int, float] = {}
    if bowl:
        moved = {position for position, _ in bowl.targets}
        for t in bowl.now():
            if t.position in moved:
                follows[t.position] = follows.get(t.position, 0.0) + t.grams
    return bake_day(database, recipe_id, version_id, follows)


def weigh(database: Database, recipe_id: int, version_id: int, body: WeighIn) -> WeighedIn:
    """Note what one food of a step weighs; the same again takes the place of what was noted, no weight takes it away.

    Raises
    ------
    NotFoundError
        There is no such version, or no such food in that step.
    OutOfDomainError
        It is no weight, or so far off that the bowl was weighed too.
    """
    with database.transaction() as session:
        row = open_row(session, version_id, database)
        bowl = bowl_of(session, recipe_id, version_id, row)
        target = target_in(bowl, body.position, body.step)
        key = (body.position, body.step)
        if body.grams is None:
            bowl.weighed.pop(key, None)
            bowl.asked = "" if bowl.asked == key_of(*key) else bowl.asked
        else:
            bowl.weighed[key] = checked(target.grams, body.grams)
            # As much as it takes is never too much or too little.
            off = is_off(target.grams, body.grams) and not bowl.goes_in_by_little(*key)
            bowl.asked = key_of(*key) if off else "" if bowl.asked == key_of(*key) else bowl.asked
        keep(session, row, version_id, bowl)
        return _told(bowl, recipe_id, version_id)


def choose(database: Database, recipe_id: int, version_id: int, body: ChoiceIn) -> WeighedIn:
    """Go on from a weighing that is off, in the way that was chosen.

    Raises
    ------
    NotFoundError
        There is no such version.
    NothingAskedError
        Nothing is asked, or not this.
    """
    with database.transaction() as session:
        row = open_row(session, version_id, database)
        bowl = bowl_of(session, recipe_id, version_id, row)
        question = question_of(bowl)
        choice = next((c for c in question.choices if c.kind == body.kind), None) if question else None
        if question is None or choice is None:
            raise NothingAskedError("nothing is asked that this would answer", field="kind")
        at = (question.position, question.step)
        if choice.kind == "take_out":
            bowl.weighed.pop(at)
        elif choice.kind in ("rebalance", "scale"):
            changed = rebalanced(bowl) if choice.kind == "rebalance" else scaled(bowl.now(), bowl.weighed, at)
            follow(bowl, changed or [])
        bowl.asked = ""
        keep(session, row, version_id, bowl)
        return _told(bowl, recipe_id, version_id)


def begin_again(database: Database, recipe_id: int, version_id: int) -> WeighedIn:
    """Put what was weighed aside, and begin with an empty bowl."""
    with database.transaction() as session:
        if row := open_row(session, version_id, database):
            row.ended_at = now(session)
            session.flush()
        return _told(bowl_of(session, recipe_id, version_id, None), recipe_id, version_id)


def _told(bowl: Bowl, recipe_id: int, version_id: int) -> WeighedIn:
    planned = {(t.position, t.step): t.grams for t in bowl.plan}
    lines = tuple(
        ToWeigh(
            position=t.position,
            step=t.step,
            ingredient=bowl.found.planned[t.position].ingredient.key,
            name=bowl.name(t.position),
            component=bowl.found.planned[t.position].component,
            target_g=t.grams,
            planned_g=planned[t.position, t.step],
            tolerance_g=tolerance_g(t.grams),
            told=bowl.told(t.position, t.grams),
            weighed_g=bowl.weighed.get((t.position, t.step)),
            by_little=bowl.goes_in_by_little(t.position, t.step),
        )
        for t in bowl.now()
    )
    return WeighedIn(
        recipe_id,
        version_id,
        lines,
        question_of(bowl),
        len(bowl.weighed),
        free_sugar(as_it_is(bowl)),
        free_sugar(bowl.found.after),
    )
