"""Weighing in at the worktop: what is in the bowl, what to do where it is off, and what the rest becomes."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date

from sqlalchemy import select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula, portion, served
from sun_crumb.core.kitchen.weighing import (
    Changed,
    Target,
    as_weighed,
    checked,
    is_off,
    longer_min,
    scaled,
    tolerance_g,
    totals_by_line,
)
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.pantry.household import household
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.rework import Plan, rework
from sun_crumb.schemas.worktop import ChoiceIn, WeighIn
from sun_crumb.services.bake_day import NoMethodError
from sun_crumb.services.clock import now
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.wishes import goals_of
from sun_crumb.services.worktop import BakeDay, DayFound, bake_day, found_day
from sun_crumb.store import Database
from sun_crumb.store.tables import WeighIn as Kept

# A bake under way that nobody went on with is over after so long [h].
FORGOTTEN_HOURS = 36


class NothingAskedError(CoreError):
    """There is no weighing that a choice is asked for."""

    code = "nothing_asked"


@dataclass(frozen=True, slots=True)
class ToWeigh:
    """One food of one step: what goes in [g] and how that is told, what the plan said, and what was weighed."""

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


@dataclass(frozen=True, slots=True)
class Followed:
    """A line that a choice changes: how much before and after [g], in words; ``is_in`` where it is in the bowl already."""

    name: str
    before_g: float
    after_g: float
    told: str
    is_in: bool


@dataclass(frozen=True, slots=True)
class Choice:
    """A way on: *keep* all else as it is, *rebalance* by the plan's own rules, *scale* all of it, or *take_out*."""

    kind: str
    words: str
    changes: tuple[Followed, ...] = ()


@dataclass(frozen=True, slots=True)
class Question:
    """What is asked of a weighing that is off."""

    position: int
    step: int
    words: str
    choices: tuple[Choice, ...]


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


@dataclass(slots=True)
class _Bowl:
    """A bake under way as it is worked with."""

    found: DayFound
    pantry: Pantry
    plan: tuple[Target, ...]
    weighed: dict[tuple[int, int], float]
    targets: dict[tuple[int, int], float]
    asked: str

    def now(self) -> list[Target]:
        """Return the targets as they are since the last choice."""
        return [replace(t, grams=self.targets.get((t.position, t.step), t.grams)) for t in self.plan]

    def name(self, position: int) -> str:
        return self.found.planned[position].ingredient.name

    def told(self, position: int, grams: float) -> str:
        food = self.found.planned[position].ingredient
        return household(food, grams, self.found.cup, is_weighed=self.found.before.is_weighed)


def weigh_in(database: Database, recipe_id: int, version_id: int) -> WeighedIn:
    """Return what is in the bowl of a version's bake, and what is still to come.

    Raises
    ------
    NotFoundError, NoMethodError
        There is no such version, or it tells no method.
    """
    with database.reading() as session:
        return _told(_bowl(session, recipe_id, version_id, _open(session, version_id, database)), recipe_id, version_id)


def followed_day(database: Database, recipe_id: int, version_id: int) -> BakeDay:
    """Return a version's bake day with the amounts that follow what is in the bowl: the words of a step say what is to go in.

    Raises
    ------
    NotFoundError, NoMethodError
        There is no such version, or it tells no method.
    """
    with database.reading() as session:
        row = _open(session, version_id, database)
        bowl = _bowl(session, recipe_id, version_id, row) if row and row.targets else None
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
        row = _open(session, version_id, database)
        bowl = _bowl(session, recipe_id, version_id, row)
        target = _target(bowl, body.position, body.step)
        key = (body.position, body.step)
        if body.grams is None:
            bowl.weighed.pop(key, None)
            bowl.asked = "" if bowl.asked == _key(*key) else bowl.asked
        else:
            bowl.weighed[key] = checked(target.grams, body.grams)
            off = is_off(target.grams, body.grams)
            bowl.asked = _key(*key) if off else "" if bowl.asked == _key(*key) else bowl.asked
        _keep(session, row, version_id, bowl)
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
        row = _open(session, version_id, database)
        bowl = _bowl(session, recipe_id, version_id, row)
        question = _question(bowl)
        choice = next((c for c in question.choices if c.kind == body.kind), None) if question else None
        if question is None or choice is None:
            raise NothingAskedError("nothing is asked that this would answer", field="kind")
        at = (question.position, question.step)
        if choice.kind == "take_out":
            bowl.weighed.pop(at)
        elif choice.kind in ("rebalance", "scale"):
            changed = _rebalanced(bowl) if choice.kind == "rebalance" else scaled(bowl.now(), bowl.weighed, at)
            _follow(bowl, changed or [])
        bowl.asked = ""
        _keep(session, row, version_id, bowl)
        return _told(bowl, recipe_id, version_id)


def begin_again(database: Database, recipe_id: int, version_id: int) -> WeighedIn:
    """Put what was weighed aside, and begin with an empty bowl."""
    with database.transaction() as session:
        if row := _open(session, version_id, database):
            row.ended_at = now(session)
            session.flush()
        return _told(_bowl(session, recipe_id, version_id, None), recipe_id, version_id)


def true_weights(
    session: Session, recipe_id: int, version_id: int, baked_on: date, database: Database
) -> dict[int, float]:
    """Return what the lines of a version weighed [g], by place, and end the weighing; empty where nothing was weighed.

    A bake of another day than the bowl's, or the one after, has nothing of what is in the bowl.
    """
    row = _open(session, version_id, database)
    if row is None or not row.weighed:
        return {}
    begun = database.clock.local() - (database.clock.now() - row.begun_at)
    if not 0 <= (baked_on - begun.date()).days <= 1:
        return {}
    row.ended_at = now(session)
    try:
        bowl = _bowl(session, recipe_id, version_id, row)
    except NoMethodError:
        return {}
    touched = {position for position, _ in (*bowl.weighed, *bowl.targets)}
    return {n: round(line.grams, 2) for n, line in enumerate(_true(bowl).lines) if n in touched}


def _open(session: Session, version_id: int, database: Database) -> Kept | None:
    row = session.scalars(
        select(Kept).where(Kept.version_id == version_id, Kept.ended_at.is_(None)).order_by(Kept.id.desc())
    ).first()
    if row is None or (database.clock.now() - row.begun_at).total_seconds() > FORGOTTEN_HOURS * 3600:
        return None
    return row


def _bowl(session: Session, recipe_id: int, version_id: int, row: Kept | None) -> _Bowl:
    pantry = pantry_in(session)
    found = found_day(session, recipe_id, version_id, pantry)
    plan = tuple(
        Target(a.line, one.step.n, a.grams)
        for one in found.steps
        for a in one.amounts
        if a.grams and a.grams > 0 and a.line < len(found.after.lines)
    )
    known = {(t.position, t.step) for t in plan}
    weighed = {(w["position"], w["step"]): w["grams"] for w in (row.weighed if row else ())}
    targets = {_places(key): grams for key, grams in (row.targets if row else {}).items()}
    return _Bowl(
        found,
        pantry,
        plan,
        {key: grams for key, grams in weighed.items() if key in known},
        {key: grams for key, grams in targets.items() if key in known},
        row.asked if row else "",
    )


def _key(position: int, step: int) -> str:
    return f"{position}/{step}"


def _places(key: str) -> tuple[int, int]:
    position, step = key.split("/")
    return int(position), int(step)


def _keep(session: Session, row: Kept | None, version_id: int, bowl: _Bowl) -> None:
    if row is None:
        row = Kept(version_id=version_id, weighed=[], targets={}, begun_at=now(session))
        session.add(row)
    row.weighed = [{"position": p, "step": s, "grams": grams} for (p, s), grams in bowl.weighed.items()]
    row.targets = {_key(*key): grams for key, grams in bowl.targets.items()}
    row.asked = bowl.asked
    session.flush()


def _target(bowl: _Bowl, position: int, step: int) -> Target:
    found = next((t for t in bowl.now() if (t.position, t.step) == (position, step)), None)
    if found is None:
        raise NotFoundError(f"step {step} of this method weighs no such food", field="position")
    return found


def _follow(bowl: _Bowl, changed: Iterable[Changed]) -> None:
    """Let the targets of lines follow: what a line becomes is shared over what of it is still to come."""
    for one in changed:
        targets = [t for t in bowl.now() if t.position == one.position]
        open_ones = [t for t in targets if (t.position, t.step) not in bowl.weighed]
        if one.is_in or not open_ones:
            # More of what is in the bowl: weighed again, up to the new target.
            target = targets[-1]
            bowl.weighed.pop((target.position, target.step), None)
            others = sum(bowl.weighed.get((t.position, t.step), t.grams) for t in targets[:-1])
            bowl.targets[target.position, target.step] = round(max(one.after_g - others, 0.0), 2)
            continue
        kept = sum(bowl.weighed[t.position, t.step] for t in targets if (t.position, t.step) in bowl.weighed)
        total = sum(t.grams for t in open_ones)
        for t in open_ones:
            bowl.targets[t.position, t.step] = round(max(one.after_g - kept, 0.0) * t.grams / total, 2)


def _told(bowl: _Bowl, recipe_id: int, version_id: int) -> WeighedIn:
    planned = {(t.position, t.step): t.grams for t in bowl.plan}
    lines = tuple(
        ToWeigh(
            t.position,
            t.step,
            bowl.found.planned[t.position].ingredient.key,
            bowl.name(t.position),
            bowl.found.planned[t.position].component,
            t.grams,
            planned[t.position, t.step],
            tolerance_g(t.grams),
            bowl.told(t.position, t.grams),
            bowl.weighed.get((t.position, t.step)),
        )
        for t in bowl.now()
    )
    return WeighedIn(
        recipe_id,
        version_id,
        lines,
        _question(bowl),
        len(bowl.weighed),
        _free_sugar(_true(bowl)),
        _free_sugar(bowl.found.after),
    )


def _free_sugar(formula: Formula) -> float:
    return portion(served(formula), formula.servings).free_sugars_who_g


def _true(bowl: _Bowl) -> Formula:
    """Return the version as it is weighed, and as the rest is planned now."""
    weights: dict[int, float] = {}
    for t in bowl.now():
        grams = bowl.weighed.get((t.position, t.step), t.grams)
        weights[t.position] = weights.get(t.position, 0.0) + grams
    return as_weighed(bowl.found.after, weights)


def _question(bowl: _Bowl) -> Question | None:
    """Return what is asked of the last weighing that is off, with what each choice would do."""
    if not bowl.asked:
        return None
    at = _places(bowl.asked)
    target = next((t for t in bowl.now() if (t.position, t.step) == at), None)
    grams = bowl.weighed.get(at)
    if target is None or grams is None or not is_off(target.grams, grams):
        return None
    over = grams - target.grams
    name = bowl.name(at[0])
    choices = [Choice("keep", _kept_words(bowl, at))]
    balanced = _rebalanced(bowl)
    if balanced:
        choices.append(_choice("rebalance", bowl, balanced, "Let the rest follow"))
    follow = scaled(bowl.now(), bowl.weighed, at)
    if follow and len(follow) <= MOST_TO_SCALE and LEAST_SCALE <= grams / target.grams <= MOST_SCALE:
        choices.append(_choice("scale", bowl, follow, f"{grams / target.grams:.2f} times all of it"))
    out = "Take it out" if over > 0 else "Add what is missing"
    choices.append(Choice("take_out", f"{out}: {grams_text(abs(over))}, and weigh again"))
    words = f"{name} is {grams_text(abs(over))} {'over' if over > 0 else 'short'}"
    return Question(*at, words, tuple(choices))


# More lines than this nobody weighs again for one slip.
MOST_TO_SCALE = 14
# Further than this the tin no longer fits (judgement).
LEAST_SCALE, MOST_SCALE = 0.8, 1.25


def _kept_words(bowl: _Bowl, at: tuple[int, int]) -> str:
    """Return what keeping a weighing as it is does to a portion's sugar and to the baking time."""
    found = bowl.found
    position = at[0]
    before = as_weighed(found.after, {position: sum(t.grams for t in bowl.now() if t.position == position)})
    after = _true(bowl)
    said = []
    sugar = _free_sugar(after) - _free_sugar(before)
    if abs(sugar) >= TOLD_SUGAR_G:
        said.append(f"a portion has {abs(sugar):.1f} g {'more' if sugar > 0 else 'less'} free sugar")
    component = found.planned[position].component
    old, new = (sum(x.grams for x in f.lines if x.component == component) for f in (before, after))
    minutes = longer_min(found.before.bake_minutes, old, new) if component == found.before.heaviest() else 0
    if minutes:
        said.append(f"bake about {abs(minutes)} min {'longer' if minutes > 0 else 'less'}")
    return "Keep it as it is" + (f": {', '.join(said)}" if said else "")


TOLD_SUGAR_G = 0.1


def _choice(kind: str, bowl: _Bowl, changed: Sequence[Changed], words: str) -> Choice:
    changes = tuple(
        Followed(
            bowl.name(c.position), c.before_g, c.after_g, bowl.told(c.position, c.after_g), c.is_in
        )
        for c in changed
    )  # fmt: skip
    told = ", ".join(f"{c.name} {c.after_g - c.before_g:+.0f} g".replace("-", "−") for c in changes[:3])
    return Choice(kind, f"{words}: {told}{' and so on' if len(changes) > MOST_TOLD else ''}", changes)


MOST_TOLD = 3


def _rebalanced(bowl: _Bowl) -> list[Changed] | None:
    """Return what of the rest changes where the plan is solved again around what is in the bowl; None where no wish is kept or nothing changes.

    Nothing comes in that the plan has not, and what is in the bowl stays as it is.
    """
    found = bowl.found
    if found.goals is None:
        return None
    totals = totals_by_line(bowl.now(), bowl.weighed)
    plan = _solved_around(found, totals, bowl.pantry)
    if plan is None:
        return None
    known: dict[tuple[str, str], float] = {}
    by_place = {x.position: x.after_g for x in plan.lines if x.position is not None}
    for x in plan.lines:
        if x.position is None:
            known[x.component, x.ingredient] = x.after_g
    changed = []
    now_g: dict[int, float] = {}
    for t in bowl.now():
        now_g[t.position] = now_g.get(t.position, 0.0) + t.grams
    for position, before in now_g.items():
        line = found.planned[position]
        if position in totals:
            continue
        if line.position is not None:
            after = by_place.get(line.position, before)
        else:
            after = known.get((line.component, line.ingredient.key), 0.0)
        if abs(after - before) > max(tolerance_g(before) / 2, TOLD_CHANGE_G):
            changed.append(Changed(position, before, after))
    return changed or None


# A change of the rest below this is the grid of household measures, and no answer to what was weighed [g].
TOLD_CHANGE_G = 1.0


def _solved_around(found: DayFound, totals: Mapping[int, float], pantry: Pantry) -> Plan | None:
    """Return the plan solved again with *totals* [g] as they are; None where only a food from outside the plan would help."""
    assert found.goals is not None
    wished = goals_of(found.goals, pantry)
    locks = dict(wished.locks)
    amounts = {(component, key): grams for component, key, grams in wished.amounts}
    for position, grams in totals.items():
        line = found.planned[position]
        if line.position is not None:
            locks[line.position] = grams
        else:
            amounts[line.component, line.ingredient.key] = grams
    goals = replace(wished, locks=locks, amounts=tuple((c, k, g) for (c, k), g in amounts.items()))
    mine = {line.ingredient.key for line in found.planned}
    for _ in range(2):
        try:
            plan = rework(found.before, goals, pantry, found.cup)
        except CoreError:
            return None
        foreign = {x.ingredient for x in plan.lines if x.after_g > 0} - mine
        if not foreign:
            return plan
        goals = replace(goals, without=tuple(dict.fromkeys((*goals.without, *sorted(foreign)))))
    return None
