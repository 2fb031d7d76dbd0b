"""Tastings of a bake, what they teach, what probably caused what, and the next trial."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date
from typing import Literal

from sqlalchemy import delete, select
from sqlalchemy.orm import Session, joinedload, selectinload

from sun_crumb.core.balance import Family, families
from sun_crumb.core.balance.nature import nature_of
from sun_crumb.core.errors import CoreError, OutOfDomainError
from sun_crumb.core.formula import Formula
from sun_crumb.core.kitchen.weighing import as_weighed
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.sugars.sweetness import sucrose_equivalent
from sun_crumb.core.tasting.causes import Cause, causes, facts_of
from sun_crumb.core.tasting.learning import (
    PREFERENCE,
    Answer,
    Belief,
    LiquidSign,
    OvenSign,
    learn_liquid,
    learn_oven,
    learn_sweetness,
    shares_of,
)
from sun_crumb.core.tasting.sheet import checked, together, words_of
from sun_crumb.core.tasting.trial import Trial as NextTrial
from sun_crumb.core.tasting.trial import trial
from sun_crumb.core.wish import Goals
from sun_crumb.schemas.days import Settings
from sun_crumb.schemas.recipes import GoalsIn
from sun_crumb.services.bakes import FEELS, BakeRecord, bake_in, record_of
from sun_crumb.services.clock import now, past_day
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import settings_in
from sun_crumb.services.recipes import keep_trial
from sun_crumb.services.soundness import original_of, sound_method, sound_version
from sun_crumb.services.wishes import goals_of
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, Learned, Recipe, Setting, Tasting, Version

State = Literal["warm", "cool", "next_day"]
OVEN, LIQUID = "oven", "liquid"


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


@dataclass(frozen=True, slots=True)
class _Known:
    """A bake as the core judges it: the recipe as it was, as planned, as baked; the wish; the kind of its main part; the pantry."""

    original: Formula
    planned: Formula
    baked: Formula
    goals: Goals | None
    component: str
    family: Family
    pantry: Pantry
    cup: str


def _known(session: Session, row: Bake, pantry: Pantry) -> _Known:
    version = row.version
    recipe = version.recipe
    original = sound_version(recipe, original_of(recipe), pantry)
    planned = sound_version(recipe, version, pantry)
    baked = as_weighed(planned, {int(k): v for k, v in (row.weights or {}).items()})
    goals = goals_of(GoalsIn.model_validate(version.goals), pantry) if version.goals is not None else None
    component = original.heaviest()
    said = goals.families.get(component) if goals else None
    family = families()[said] if said else nature_of(original, component).family
    return _Known(original, planned, baked, goals, component, family, pantry, recipe.cup)


def _whys(session: Session, row: Bake, mean: dict[str, float]) -> tuple[WhyCause, ...]:
    if not mean:
        return ()
    pantry = pantry_in(session)
    known = _known(session, row, pantry)
    learned = learned_in(session)
    facts = facts_of(
        [x for x in known.original.lines if x.component == known.component],
        [x for x in known.baked.lines if x.component == known.component],
        known.family,
        minutes=_over_told(row.minutes, sound_method(row.version.recipe).bake_minutes),
        oven_c=learned[OVEN].mean if OVEN in learned else settings_in(session).oven_offset_c,
        feel=FEELS.get(row.feel),
        learned={key: one.mean for key, one in learned.items()},
    )
    return tuple(_why(cause, known) for cause in causes(mean, facts))


def _why(cause: Cause, known: _Known) -> WhyCause:
    try:
        return WhyCause(cause, _trial(cause, known), "")
    except CoreError as error:
        return WhyCause(cause, None, error.message)


def _trial(cause: Cause, known: _Known) -> NextTrial:
    return trial(known.original, known.planned, known.goals, cause.changes, known.pantry, cup_standard(known.cup))


def _over_told(took: float | None, told: tuple[int, int] | None) -> float | None:
    """Return how long a bake took over the time that its recipe tells [min]; None where one of them is not known."""
    if took is None or not told or told[0] <= 0:
        return None
    # Within what the recipe tells it took just its time.
    low, high = told
    return took / low if took < low else took / high if took > high else 1.0


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


# Learning


def learn_anew(database: Database) -> None:
    """Compute anew what all tastings teach."""
    with database.transaction() as session:
        learn(session)


def learn(session: Session) -> None:
    """Compute anew what all tastings teach, in the transaction that changed them."""
    own = settings_in(session)
    tasted = select(Tasting.bake_id).where(Tasting.deleted_at.is_(None))
    bakes = session.scalars(
        select(Bake)
        .join(Version)
        .join(Recipe)
        .where(Bake.deleted_at.is_(None), Recipe.deleted_at.is_(None), Bake.id.in_(tasted))
        .options(selectinload(Bake.tastings), joinedload(Bake.version).joinedload(Version.recipe))
        .order_by(Bake.baked_on, Bake.id)
    ).all()
    signs = _Signs(session, pantry_in(session, is_learned=False))
    for row in bakes:
        signs.take(row, [t for t in row.tastings if t.deleted_at is None and _teaches(t, own)])
    found: dict[str, Belief] = dict(learn_sweetness(signs.answers))
    found[OVEN] = learn_oven(signs.ovens, own.oven_offset_c)
    found[LIQUID] = learn_liquid(signs.liquids)
    session.execute(delete(Learned))
    session.add_all(Learned(key=k, mean=b.mean, sd=b.sd, answers=b.answers) for k, b in found.items() if b.answers)
    session.flush()


def _teaches(tasting: Tasting, own: Settings) -> bool:
    return own.learned_since is None or tasting.created_at > own.learned_since


class _Signs:
    """What bakes and their sheets tell, gathered; what is the same for all bakes of a version is worked out once."""

    def __init__(self, session: Session, pantry: Pantry) -> None:
        self.session, self.pantry = session, pantry
        self.answers: list[Answer] = []
        self.ovens: list[OvenSign] = []
        self.liquids: list[LiquidSign] = []
        self._sweet: dict[int, tuple[dict[str, float], float] | None] = {}
        self._minutes: dict[int, tuple[int, int] | None] = {}

    def take(self, row: Bake, sheets: Sequence[Tasting]) -> None:
        """Take what one bake and its sheets tell; a damaged recipe teaches nothing."""
        if not sheets:
            return
        mean = together(dict(t.scores) for t in sheets)
        try:
            given = [t.scores["sweetness"] for t in sheets if "sweetness" in t.scores]
            if given and (sweet := self._sweetness(row)):
                self.answers += [Answer(value, *sweet) for value in given]
            self.ovens.append(OvenSign(mean.get("colour"), self._time_ratio(row)))
        except CoreError:
            return
        feel = FEELS.get(row.feel)
        if "moisture" in mean or feel is not None:
            self.liquids.append(LiquidSign(mean.get("moisture"), feel))

    def _sweetness(self, row: Bake) -> tuple[dict[str, float], float] | None:
        """Return whose sweetness it is, and how sweet it is against the original; None where there is nothing to compare."""
        if row.weights:
            return _compared(_known(self.session, row, self.pantry))
        if row.version_id not in self._sweet:
            self._sweet[row.version_id] = _compared(_known(self.session, row, self.pantry))
        return self._sweet[row.version_id]

    def _time_ratio(self, row: Bake) -> float | None:
        recipe = row.version.recipe
        if recipe.id not in self._minutes:
            self._minutes[recipe.id] = sound_method(recipe).bake_minutes
        return _over_told(row.minutes, self._minutes[recipe.id])


def _compared(known: _Known) -> tuple[dict[str, float], float] | None:
    before, after = (_sweet(f) for f in (known.original, known.baked))
    if before <= 0 or after <= 0:
        return None
    return shares_of(known.baked.lines, [x.ingredient.key for x in known.original.lines]), after / before


def _sweet(formula: Formula) -> float:
    """Return how sweet a gram of a recipe is, as sucrose."""
    return sucrose_equivalent((x.ingredient.per_100g, x.grams) for x in formula.lines) / formula.mass_g


def learned_in(session: Session) -> dict[str, Belief]:
    """Return what is believed, by key."""
    return {row.key: Belief(row.mean, row.sd, row.answers) for row in session.scalars(select(Learned))}


@dataclass(frozen=True, slots=True)
class Lesson:
    """One thing that was learned, in words and figures."""

    key: str
    name: str
    kind: str
    value: float
    low: float
    high: float
    answers: int
    words: str


def learned(database: Database) -> tuple[Lesson, ...]:
    """Return what the household's tastings have taught, with its doubt."""
    with database.reading() as session:
        pantry = pantry_in(session)
        return tuple(_lesson(key, one, pantry) for key, one in learned_in(session).items())


def _lesson(key: str, one: Belief, pantry: Pantry) -> Lesson:
    low, high = one.interval
    if key == OVEN:
        told = (
            f"runs {abs(one.mean):.0f} °C {'hotter' if one.mean > 0 else 'cooler'} than its dial"
            if abs(one.mean) >= 1
            else "is at its dial's number"
        )
        return Lesson(
            key,
            "Your oven",
            "oven",
            one.mean,
            low,
            high,
            one.answers,
            f"Your oven {told} ({low:+.0f} to {high:+.0f} °C).".replace("-", "−"),
        )
    if key == LIQUID:
        told = (
            f"{100 * abs(one.mean):.0f} % {'more' if one.mean > 0 else 'less'} liquid"
            if abs(one.mean) >= 0.005
            else "the liquid told"
        )
        return Lesson(
            key,
            "Your flour",
            "liquid",
            one.mean,
            low,
            high,
            one.answers,
            f"Your flour takes {told} ({100 * low:+.0f} to {100 * high:+.0f} %).".replace("-", "−"),
        )
    factor = (Belief(x, 0.0, 1).factor for x in (one.mean, low, high))
    value, least, most = factor
    between = f"{least:.2f} to {most:.2f}"
    if key == PREFERENCE:
        return Lesson(
            key,
            "How sweet you like it",
            "preference",
            value,
            least,
            most,
            one.answers,
            f"You like things {100 * value:.0f} % as sweet as the originals ({between}).",
        )
    name = pantry[key].name if key in pantry else key
    return Lesson(
        key,
        name,
        "food",
        value,
        least,
        most,
        one.answers,
        f"{name[:1].upper()}{name[1:]} is {100 * value:.0f} % as sweet here as the model says ({between}).",
    )


def forget(database: Database) -> None:
    """Forget what was learned: tastings up to now teach nothing any more. They stay, and undo_forget brings back what they taught."""
    with database.transaction() as session:
        _since(session, now(session).isoformat())


def undo_forget(database: Database) -> tuple[Lesson, ...]:
    """Learn from all tastings again."""
    with database.transaction() as session:
        _since(session, None)
    return learned(database)


def _since(session: Session, value: str | None) -> None:
    session.merge(Setting(key="learned_since", value=value))
    session.flush()
    learn(session)
