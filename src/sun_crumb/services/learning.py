"""What the household's tastings teach: sweetness of foods, the oven, how wet a batter is liked; told, forgotten, learned anew."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from sqlalchemy import delete, select
from sqlalchemy.orm import Session, joinedload, selectinload

from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.sugars.sweetness import sucrose_equivalent
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
from sun_crumb.core.tasting.sheet import together
from sun_crumb.schemas.days import Settings
from sun_crumb.services.as_baked import AsBaked, as_baked, over_told
from sun_crumb.services.bakes import FEELS
from sun_crumb.services.clock import now
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import settings_in
from sun_crumb.services.soundness import sound_method
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, Learned, Recipe, Setting, Tasting, Version

OVEN, LIQUID = "oven", "liquid"


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
    signs = _Signs(pantry_in(session, is_learned=False))
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

    def __init__(self, pantry: Pantry) -> None:
        self.pantry = pantry
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
            return _compared(as_baked(row, self.pantry))
        if row.version_id not in self._sweet:
            self._sweet[row.version_id] = _compared(as_baked(row, self.pantry))
        return self._sweet[row.version_id]

    def _time_ratio(self, row: Bake) -> float | None:
        recipe = row.version.recipe
        if recipe.id not in self._minutes:
            self._minutes[recipe.id] = sound_method(recipe).bake_minutes
        return over_told(row.minutes, self._minutes[recipe.id])


def _compared(known: AsBaked) -> tuple[dict[str, float], float] | None:
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
    span = (one.mean, *one.interval)
    if key == OVEN:
        name, kind, words = "Your oven", "oven", _of_the_oven(*span)
    elif key == LIQUID:
        name, kind, words = "Your flour", "liquid", _of_the_flour(*span)
    else:
        value, least, most = (Belief(x, 0.0, 1).factor for x in span)
        span = value, least, most
        between = f"{100 * least:.0f} to {100 * most:.0f} %"
        if key == PREFERENCE:
            name, kind = "How sweet you like it", "preference"
            words = f"You like things {100 * value:.0f} % as sweet as the originals ({between})."
        else:
            name, kind = pantry[key].name if key in pantry else key, "food"
            words = f"{name[:1].upper()}{name[1:]} is {100 * value:.0f} % as sweet here as the model says ({between})."
    return Lesson(key, name, kind, *span, one.answers, words)


def _of_the_oven(mean: float, low: float, high: float) -> str:
    told = f"runs {abs(mean):.0f} °C {'hotter' if mean > 0 else 'cooler'} than its dial"
    told = told if abs(mean) >= 1 else "is at its dial's number"
    return f"Your oven {told} ({low:+.0f} to {high:+.0f} °C).".replace("-", "−")


def _of_the_flour(mean: float, low: float, high: float) -> str:
    told = (
        f"{100 * abs(mean):.0f} % {'more' if mean > 0 else 'less'} liquid" if abs(mean) >= 0.005 else "the liquid told"
    )
    return f"Your flour takes {told} ({100 * low:+.0f} to {100 * high:+.0f} %).".replace("-", "−")


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
