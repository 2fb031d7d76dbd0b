"""A bake under way: what is in the bowl, what is still to come, and how that is kept. It asks nothing and decides nothing."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
from datetime import date

from sqlalchemy import select
from sqlalchemy.orm import Session

from sun_crumb.core.formula import Formula, portion, served
from sun_crumb.core.formula.told import told_food
from sun_crumb.core.kitchen.by_little import goes_in_by_little
from sun_crumb.core.kitchen.weighing import Changed, Target, as_weighed
from sun_crumb.core.pantry import Pantry
from sun_crumb.services.bake_day import NoMethodError
from sun_crumb.services.clock import now
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.worktop import DayFound, found_day
from sun_crumb.store import Database
from sun_crumb.store.tables import WeighIn as Kept

# A bake under way that nobody went on with is over after so long [h].
FORGOTTEN_HOURS = 36


@dataclass(slots=True)
class Bowl:
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

    def goes_in_by_little(self, position: int, step: int) -> bool:
        """Return whether a food goes in at a step as much as it takes, by the recipe's own words."""
        planned = self.found.planned[position]
        line = self.found.before.lines[planned.position].text if planned.position is not None else ""
        told = next((one for one in self.found.steps if one.step.n == step), None)
        return goes_in_by_little(line, told.was or told.step.text if told else "", planned.ingredient.name)

    def told(self, position: int, grams: float) -> str:
        food = self.found.planned[position].ingredient
        return told_food(self.found.before, food, grams, self.found.cup)


def open_row(session: Session, version_id: int, database: Database) -> Kept | None:
    """Return the bake under way of a version, None where none was begun or the last was forgotten."""
    row = session.scalars(
        select(Kept).where(Kept.version_id == version_id, Kept.ended_at.is_(None)).order_by(Kept.id.desc())
    ).first()
    if row is None or (database.clock.now() - row.begun_at).total_seconds() > FORGOTTEN_HOURS * 3600:
        return None
    return row


def bowl_of(session: Session, recipe_id: int, version_id: int, row: Kept | None) -> Bowl:
    """Return what is in the bowl of a version's bake, with the method that it is weighed for.

    Raises
    ------
    NotFoundError, NoMethodError
        There is no such version, or it tells no method.
    """
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
    targets = {place_of(key): grams for key, grams in (row.targets if row else {}).items()}
    return Bowl(
        found,
        pantry,
        plan,
        {key: grams for key, grams in weighed.items() if key in known},
        {key: grams for key, grams in targets.items() if key in known},
        row.asked if row else "",
    )


def key_of(position: int, step: int) -> str:
    """Return a place and a step as they are kept: "3/2"."""
    return f"{position}/{step}"


def place_of(key: str) -> tuple[int, int]:
    """Return the place and the step of a key."""
    position, step = key.split("/")
    return int(position), int(step)


def keep(session: Session, row: Kept | None, version_id: int, bowl: Bowl) -> None:
    """Keep what is in the bowl, beginning a bake under way where there is none."""
    if row is None:
        row = Kept(version_id=version_id, weighed=[], targets={}, begun_at=now(session))
        session.add(row)
    row.weighed = [{"position": p, "step": s, "grams": grams} for (p, s), grams in bowl.weighed.items()]
    row.targets = {key_of(*key): grams for key, grams in bowl.targets.items()}
    row.asked = bowl.asked
    session.flush()


def target_in(bowl: Bowl, position: int, step: int) -> Target:
    """Return the target of a food of a step; raise NotFoundError where the step weighs no such food."""
    found = next((t for t in bowl.now() if (t.position, t.step) == (position, step)), None)
    if found is None:
        raise NotFoundError(f"step {step} of this method weighs no such food", field="position")
    return found


def follow(bowl: Bowl, changed: Iterable[Changed]) -> None:
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


def as_it_is(bowl: Bowl) -> Formula:
    """Return the version as it is weighed, and as the rest is planned now."""
    weights: dict[int, float] = {}
    for t in bowl.now():
        grams = bowl.weighed.get((t.position, t.step), t.grams)
        weights[t.position] = weights.get(t.position, 0.0) + grams
    return as_weighed(bowl.found.after, weights)


def free_sugar(formula: Formula) -> float:
    """Return what a portion holds of free sugar, by the WHO [g]."""
    return portion(served(formula), formula.servings).free_sugars_who_g


def true_weights(
    session: Session, recipe_id: int, version_id: int, baked_on: date, database: Database
) -> dict[int, float]:
    """Return what the lines of a version weighed [g], by place, and end the weighing; empty where nothing was weighed.

    A bake of another day than the bowl's, or the one after, has nothing of what is in the bowl.
    """
    row = open_row(session, version_id, database)
    if row is None or not row.weighed:
        return {}
    begun = database.clock.local() - (database.clock.now() - row.begun_at)
    if not 0 <= (baked_on - begun.date()).days <= 1:
        return {}
    row.ended_at = now(session)
    try:
        bowl = bowl_of(session, recipe_id, version_id, row)
    except NoMethodError:
        return {}
    touched = {position for position, _ in (*bowl.weighed, *bowl.targets)}
    return {n: round(line.grams, 2) for n, line in enumerate(as_it_is(bowl).lines) if n in touched}
