"""Bake day of a version on the shelf: its method, what to buy, when to begin."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session

from sun_crumb.core.balance import Family, families, nature_of
from sun_crumb.core.errors import CoreError, OutOfDomainError
from sun_crumb.core.formula import Formula, portion, served
from sun_crumb.core.kitchen import cutting
from sun_crumb.core.kitchen.keeping import Kept, keeping
from sun_crumb.core.kitchen.made import made_from
from sun_crumb.core.kitchen.ovens import dial_words, turn_words
from sun_crumb.core.kitchen.tins import read_size, scoops
from sun_crumb.core.kitchen.weighing import as_weighed
from sun_crumb.core.method.planned import PlannedLine, RewrittenStep, as_said, named
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.pantry.household import household
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.reading.records import Link, Step, Tin
from sun_crumb.core.recasting import Recasted, recast
from sun_crumb.core.reference import table
from sun_crumb.schemas.days import Settings
from sun_crumb.schemas.recipes import GoalsIn
from sun_crumb.schemas.worktop import ServeIn
from sun_crumb.services import schedules
from sun_crumb.services.bake_day import MethodTold, ToldStep, pair, rewritten, told_plan
from sun_crumb.services.errors import NotFoundError
from sun_crumb.services.methods import stored_method
from sun_crumb.services.own_patterns import as_households
from sun_crumb.services.pantry import pantry_in
from sun_crumb.services.preferences import as_told, settings_in
from sun_crumb.services.soundness import sound_method, sound_recipe
from sun_crumb.services.taught import thirst_in, with_learned_oven
from sun_crumb.services.wishes import goals_of
from sun_crumb.store import Database
from sun_crumb.store.tables import Bake, Recipe, Version

MOST_STEP_WORDS = 60


@dataclass(frozen=True, slots=True)
class ToBuy:
    """One food to have ready: how much, in household measure and in grams; ``of`` what it is made into."""

    ingredient: str
    name: str
    grams: float
    told: str
    of: str = ""


@dataclass(frozen=True, slots=True)
class BakeDay:
    """A version's bake day: its method, what to have ready, how many portions and what one holds of free sugar [g]."""

    recipe_id: int
    version_id: int
    number: int
    label: str
    servings: int
    unit: str
    free_sugars_who_g: float
    energy_kcal: float
    method: MethodTold
    to_buy: tuple[ToBuy, ...]
    allergens: tuple[str, ...]
    cautions: tuple[str, ...]
    keeping: tuple[Kept, ...]
    cut: CutUp | None = None


@dataclass(frozen=True, slots=True)
class CutUp:
    """How all of it is cut: the tin, the number of pieces, the words; what all weighs and holds of free sugar [g]."""

    tin: str
    pieces: int
    words: str
    grams: float
    free_sugars_who_g: float


@dataclass(frozen=True, slots=True)
class DayFound:
    """A version with its original, its lines beside the original's, and its method at its amounts."""

    recipe: str
    number: int
    label: str
    before: Formula
    after: Formula
    planned: list[PlannedLine]
    steps: tuple[RewrittenStep, ...]
    kinds: dict[str, Family]
    own: dict[str, str]
    goals: GoalsIn | None
    cup: CupStandard
    tin: Tin | None


def bake_day(
    database: Database, recipe_id: int, version_id: int, follows: Mapping[int, float] | None = None
) -> BakeDay:
    """Return a version's bake day; with other weights of some lines [g], by place, where the rest *follows* what is in the bowl.

    Raises
    ------
    NotFoundError
        There is no such recipe or version.
    NoMethodError
        The recipe tells no method.
    """
    with database.reading() as session:
        pantry = pantry_in(session)
        found = found_day(session, recipe_id, version_id, pantry, follows)
        own = with_learned_oven(session, settings_in(session))
        before = _last_time(session, recipe_id, version_id)
        thirst = _thirst(session)
    one = portion(served(found.after), found.after.servings)
    return BakeDay(
        recipe_id=recipe_id,
        version_id=version_id,
        number=found.number,
        label=found.label,
        servings=found.after.servings,
        unit=found.after.unit,
        free_sugars_who_g=one.free_sugars_who_g,
        energy_kcal=one.energy_kcal,
        method=_by_own_scoop(
            _in_this_oven(told_plan(found.recipe, found.before, found.planned, found.steps, found.own), own, before),
            own,
            found.after,
        ),
        to_buy=tuple(_to_buy(found.planned, pantry)),
        allergens=_allergens(found.after),
        cautions=(*thirst, *_cautions(found.steps, found.after)),
        keeping=keeping(found.kinds),
        cut=_cut_up(found),
    )


def _cut_up(found: DayFound) -> CutUp | None:
    """Return how what is baked is cut; None where it is none that is, or its tin isn't told."""
    after = found.after
    if found.tin is None or after.unit not in cutting.CUT_UNITS or after.servings < 2:
        return None
    told = cutting.tin_words(found.tin.shape, found.tin.sizes_cm, found.tin.text)
    try:
        cuts = cutting.cut(read_size(told), (after.servings,))
    except OutOfDomainError:
        return None
    one = portion(served(after), after.servings)
    return CutUp(
        told,
        after.servings,
        cutting.rows_told(cuts),
        served(after).mass_g,
        one.free_sugars_who_g * after.servings,
    )


def _thirst(session: Session) -> tuple[str, ...]:
    """Return what tastings taught of this household's flour, where it is worth a word."""
    thirst = thirst_in(session)
    if thirst > 0:
        return (
            f"Your flour takes about {100 * thirst:.0f} % more liquid than recipes tell; plans made since you taught it reckon with that. Have a spoonful more ready.",
        )
    if thirst:
        return (
            f"Your flour takes about {-100 * thirst:.0f} % less liquid than recipes tell; plans made since you taught it reckon with that. Hold a spoonful back.",
        )
    return ()


def _last_time(session: Session, recipe_id: int, version_id: int) -> tuple[str, ...]:
    """Return what is told of the baking time: what a trial asks for, and how long the last bake took in truth."""
    told = []
    version = session.get(Version, version_id)
    if version is not None and re.fullmatch(r"[+-]\d+ (?:minutes|°C)", version.changed):
        told.append(f"This is the trial of {version.changed.replace('-', '−')}.")
    if version is not None and version.changed.startswith("in "):
        told.append(f"This is made {version.changed}.")
    row = session.scalar(
        select(Bake)
        .join(Version)
        .where(Version.recipe_id == recipe_id, Bake.minutes.is_not(None), Bake.deleted_at.is_(None))
        .order_by((Bake.version_id == version_id).desc(), Bake.baked_on.desc(), Bake.id.desc())
        .limit(1)
    )
    if row is not None:
        told.append(f"Last time ({row.version.label}) it took {row.minutes:.0f} minutes.")
    return tuple(told)


def _in_this_oven(method: MethodTold, own: Settings, before: Sequence[str] = ()) -> MethodTold:
    """Return a method with what this household's oven is set to, when a bake in it is turned, and what is known *before* of how long it takes."""
    longest = max((s.wait.high_min for s in method.steps if s.wait and s.wait.kind == "bake"), default=0)

    def told(step: ToldStep) -> ToldStep:
        if step.temperature_c is None:
            return step
        dial = dial_words(
            step.temperature_c, is_fan=own.oven_fan, offset_c=own.oven_offset_c, is_fahrenheit=own.temperature == "f"
        )
        is_bake = step.wait is not None and step.wait.kind == "bake"
        turn = turn_words((step.wait.low_min, step.wait.high_min), own.oven_hot_side) if is_bake and step.wait else ""
        is_main = is_bake and step.wait is not None and step.wait.high_min == longest
        said = (*((turn,) if turn else ()), *(before if is_main else ()))
        return replace(step, dial=dial, notes=(*step.notes, *said))

    return replace(method, steps=tuple(told(step) for step in method.steps))


_SCOOPED = re.compile(
    r"\b(?:scoop|drop|dollop|roll\w* (?:\w+ )*?(?:in)?to (?:\w+ )*?balls?|shape (?:\w+ )*?balls?)\b", re.I
)
# A scoop this much off the wanted piece is another size [share] (judgement).
NEAR_A_SCOOP = 0.25


def _by_own_scoop(method: MethodTold, own: Settings, after: Formula) -> MethodTold:
    """Return a method with the household's own scoop where pieces are dropped or rolled, if one of theirs is about as large."""
    wanted = after.only(after.heaviest()).mass_g / after.servings
    weights = {size: scoops(wanted, size)[1] for size in own.scoops}
    size = min(weights, key=lambda s: abs(weights[s] / wanted - 1), default=None) if wanted > 0 else None
    at = next((n for n, step in enumerate(method.steps) if _SCOOPED.search(step.text)), None)
    if size is None or at is None or abs(weights[size] / wanted - 1) > NEAR_A_SCOOP:
        return method
    note = f"Your no. {size} scoop holds about {grams_text(weights[size])}; a {after.unit} is {grams_text(wanted)} of dough."
    steps = list(method.steps)
    steps[at] = replace(steps[at], notes=(*steps[at].notes, note))
    return replace(method, steps=tuple(steps))


def say_step(database: Database, recipe_id: int, version_id: int, key: str, text: str) -> None:
    """Keep the baker's own words for a step of a version's method; empty words, or ours, take them back.

    Raises
    ------
    NotFoundError
        There is no such version, or no such step.
    """
    with database.transaction() as session:
        found = found_day(session, recipe_id, version_id, pantry_in(session))
        step = next((one for one in found.steps if one.key == key), None)
        if step is None:
            raise NotFoundError("this method has no such step", field="key")
        version = session.get_one(Version, version_id)
        words = {k: v for k, v in (version.own_words or {}).items() if k != key}
        if text.strip() and text.strip() != step.step.text:
            words[key] = text.strip()
        version.own_words = words or None


def link_line(database: Database, recipe_id: int, version_id: int, position: int, step: str) -> None:
    """Let a line of the original go in at another step of its method, by the step's key; at its own by no key.

    Raises
    ------
    NotFoundError
        There is no such version, line or step.
    """
    with database.transaction() as session:
        found = found_day(session, recipe_id, version_id, pantry_in(session))
        if position >= len(found.before.lines):
            raise NotFoundError("this recipe has no such line", field="position")
        if step and not any(one.key == step and not one.is_new for one in found.steps):
            raise NotFoundError("this method has no such step", field="step")
        recipe = session.get_one(Recipe, recipe_id)
        method = sound_method(recipe)
        links = tuple(link for link in method.links if link.position != position)
        if step:
            links += (Link(position, step),)
        recipe.method = stored_method(replace(method, links=links))
        recipe.revision += 1


def plan_day(database: Database, recipe_id: int, version_id: int, body: ServeIn) -> tuple[schedules.Asked, Any]:
    """Return what is asked of a version's clock, with what else is baked that day, and its schedule.

    Raises
    ------
    NotFoundError
        There is no such version, or none of those beside it.
    OutOfDomainError
        The same bake is named twice.
    """
    with database.reading() as session:
        pantry = pantry_in(session)
        places = [(recipe_id, version_id), *((b.recipe_id, b.version_id) for b in body.beside)]
        found = [(version, found_day(session, recipe, version, pantry)) for recipe, version in places]
        ovens = max(len(settings_in(session).ovens), 1)
    bakes = [
        schedules.Bake(f"{version}." if n else "", one.recipe, [step.step for step in one.steps])
        for n, (version, one) in enumerate(found)
    ]
    now = database.clock.local() if body.from_now else None
    asked = schedules.asked_of(bakes, body.serve, schedules.sleep_of(body.sleep), now, body.pins, ovens)
    return asked, schedules.planned(asked)


def found_day(
    session: Session, recipe_id: int, version_id: int, pantry: Pantry, follows: Mapping[int, float] | None = None
) -> DayFound:
    """Return a version of the shelf as its bake day needs it; *follows* are other weights of its lines [g], by place.

    Raises
    ------
    NotFoundError
        There is no such recipe or version.
    NoMethodError
        The recipe tells no method.
    """
    recipe = session.get(Recipe, recipe_id)
    if recipe is None or recipe.deleted_at is not None:
        raise NotFoundError("there is no such recipe", field="recipe")
    rows = list(recipe.versions)
    sound = sound_recipe(recipe, pantry)
    at = next((n for n, row in enumerate(rows) if row.id == version_id), None)
    if at is None:
        raise NotFoundError("this recipe has no such version", field="version")
    method = sound_method(recipe)
    before = replace(
        sound[0].formula,
        oven=method.oven,
        bake_minutes=method.bake_minutes,
        method="\n".join(step.text for step in method.steps),
    )
    before, own_cup = as_told(session, before, recipe.cup)
    after, cup = (
        replace(as_weighed(sound[at].formula, follows or {}), by_weight=before.is_weighed),
        cup_standard(own_cup),
    )
    planned = pair(before, after, cup)
    goals = sound[at].version.goals
    said = goals.families if goals is not None else {}
    kinds = {
        c: families()[said[c]] if said.get(c) in families() else nature_of(before, c).family for c in before.components
    }
    on = _on_another_base(session, before, goals, pantry, cup)
    kinds |= {x.component: families()[x.family] for x in on}
    steps: Sequence[Step] = method.steps
    return DayFound(
        recipe=recipe.title,
        number=rows[at].number,
        label=rows[at].label,
        before=before,
        after=after,
        planned=planned,
        steps=rewritten(before, after, steps, planned, kinds, cup, pantry, method.links, on),
        kinds=kinds,
        own=rows[at].own_words or {},
        goals=goals,
        cup=cup,
        tin=method.tin,
    )


def _on_another_base(
    session: Session, before: Formula, goals: GoalsIn | None, pantry: Pantry, cup: CupStandard
) -> tuple[Recasted, ...]:
    """Return what a kept version stands on instead; nothing where its wish can't be had any more."""
    if goals is None or (goals.base is None and not goals.recasts):
        return ()
    try:
        found = recast(before, as_households(session, goals_of(goals, pantry), pantry), cup)
    except CoreError:
        return ()
    return found.told if found else ()


def _allergens(formula: Formula) -> tuple[str, ...]:
    """Return the declared allergens that a formula holds, by name."""
    tags = {tag for line in formula.lines if line.grams > 0 for tag in line.ingredient.tags}
    return tuple(row["name"] for row in table("allergens") if row["tag"] in tags)


def _to_buy(planned: Sequence[PlannedLine], pantry: Pantry) -> list[ToBuy]:
    """Return what to have ready: what is made at home by what it is made from; the same food once."""
    found: dict[tuple[str, str], ToBuy] = {}
    for line in planned:
        if line.grams <= 0:
            continue
        parts = made_from(line.ingredient, line.grams, pantry) if line.position is None else ()
        for key, grams in parts or ((line.ingredient.key, line.grams),):
            food = pantry[key] if parts else line.ingredient
            of = line.ingredient.name if parts else ""
            old = found.get((key, of))
            total = grams + (old.grams if old else 0.0)
            told = grams_text(total) if parts else household(food, total, cup_standard("us"), is_weighed=True)
            words = line.told if not parts and old is None else told
            found[key, of] = ToBuy(key, named(food.name, words), total, as_said(words), of)
    return list(found.values())


def _cautions(steps: Sequence[RewrittenStep], after: Formula) -> list[str]:
    """Return what can hurt at the worktop (common practice), and whom to ask."""
    text = " ".join(one.step.text.lower() for one in steps)
    found = []
    if any(one.step.reaches and one.step.reaches.of in ("syrup", "oil") for one in steps) or "caramel" in text:
        found.append("Hot sugar and oil burn deep: long sleeves, nobody small nearby, a bowl of cold water at hand.")
    if "blend" in text or "blitz" in text:
        found.append("Never close a blender over something hot: let it cool, or hold the lid with a cloth.")
    is_baked = any(one.step.wait and one.step.wait.kind in ("bake", "simmer") for one in steps)
    tags = {tag for line in after.lines for tag in line.ingredient.tags}
    if not is_baked and any(line.ingredient.group == "egg" for line in after.lines):
        found.append("Raw egg: not for small children, in pregnancy, or for anyone ill; pasteurised egg is safer.")
    if "raw" in tags and not is_baked:
        found.append("Raw flour is not to be eaten: toast it first.")
    if any(one.step.wait and one.step.wait.kind in ("chill", "freeze") for one in steps):
        found.append("What is chilled stays chilled: back into the fridge within two hours.")
    return found
