"""The method of a recipe, and of a plan of it: steps with what they use, wait for and need."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.balance import Family, as_mixed, families, gauges, measure, nature_of, verdicts
from sun_crumb.core.errors import CoreError
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.formula.told import told_amount, told_food
from sun_crumb.core.kitchen.made import preparations_for
from sun_crumb.core.kitchen.on_another_base import baked_on, unpoured, with_batter
from sun_crumb.core.kitchen.technique import notes_for
from sun_crumb.core.method import MethodLine, MethodRead, MethodStep, Reached, Wait, read_method
from sun_crumb.core.method.lines import lines_of_foods, lines_of_reading, own_name
from sun_crumb.core.method.oven import Baking
from sun_crumb.core.method.planned import PlannedLine, RewrittenStep
from sun_crumb.core.method.rewrite import rewrite
from sun_crumb.core.method.stirring import stirred_every
from sun_crumb.core.pantry import Ingredient, Pantry, shipped_pantry
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.reading import method_of, read_recipe
from sun_crumb.core.reading.records import Link, Step
from sun_crumb.core.recasting import Recasted
from sun_crumb.core.rework import Plan
from sun_crumb.core.telling.as_told import own_amount
from sun_crumb.core.telling.baking import baking


class NoMethodError(CoreError):
    """The recipe tells no method that could be gone through."""


@dataclass(frozen=True, slots=True)
class ToldUse:
    """What a step uses: the line's own text, its food's key, the share, the weight [g], and how that is told."""

    line: str
    ingredient: str | None
    share: float
    grams: float | None
    told: str = ""
    name: str = ""
    position: int | None = None
    is_sure: bool = True


@dataclass(frozen=True, slots=True)
class ToldStep:
    """A step as it is told: what it says and uses, waits for and needs; for a plan, what it was and what is said of it."""

    n: int
    text: str
    component: str
    uses: tuple[ToldUse, ...]
    wait: Wait | None
    temperature_c: float | None
    hands_on_minutes: tuple[int, int]
    equipment: tuple[str, ...]
    until: str
    after: tuple[int, ...]
    origin: tuple[int, ...]
    makes: str
    reaches: Reached | None
    was: str = ""
    notes: tuple[str, ...] = ()
    is_new: bool = False
    is_sure: bool = True
    key: str = ""
    ours: str = ""
    dial: str = ""
    stirred_every_min: int | None = None


@dataclass(frozen=True, slots=True)
class MethodTold:
    """A method with the lines that no step of it names."""

    title: str
    steps: tuple[ToldStep, ...]
    unplaced: tuple[str, ...] = ()


def read_steps(text: str, cup: str | None = None) -> MethodTold:
    """Return the method of a recipe's text as steps.

    Raises
    ------
    NoMethodError
        The text tells no method.
    """
    reading = read_recipe(text, shipped_pantry(), cup)
    lines = lines_of_reading(reading, shipped_pantry())
    read = _read(method_of(reading).steps, lines)
    return MethodTold(
        reading.title,
        tuple(
            replace(_told(step, _uses_of(step, lines)), stirred_every_min=_stirred(step, _foods_of(step, lines)))
            for step in read.steps
        ),
        tuple(lines[n].text for n in read.unplaced),
    )


def _foods_of(step: MethodStep, lines: Sequence[MethodLine]) -> list[Ingredient]:
    return [food for use in step.uses if (food := lines[use.position].ingredient)]


def _uses_of(step: MethodStep, lines: Sequence[MethodLine]) -> tuple[ToldUse, ...]:
    return tuple(
        ToldUse(
            line.text or line.name,
            line.ingredient.key if line.ingredient else None,
            use.share,
            use.grams,
            "",
            line.name,
            use.position,
            use.is_sure,
        )
        for use in step.uses
        for line in (lines[use.position],)
    )


def _told(step: MethodStep, uses: tuple[ToldUse, ...], one: RewrittenStep | None = None) -> ToldStep:
    return ToldStep(
        n=step.n, text=step.text, component=step.component, uses=uses, wait=step.wait, temperature_c=step.temperature_c, hands_on_minutes=step.hands_on_minutes, equipment=step.equipment, until=step.until, after=step.after,
        origin=step.origin, makes=step.makes, reaches=step.reaches, was=one.was if one else "", notes=one.notes if one else (), is_new=bool(one and one.is_new), is_sure=step.is_sure,
    )  # fmt: skip


def told_plan(
    title: str,
    formula: Formula,
    planned: Sequence[PlannedLine],
    steps: Sequence[RewrittenStep],
    own: Mapping[str, str] | None = None,
) -> MethodTold:
    """Return a plan's method as it is told: each use by the original line's own text, or by the food that came in; the baker's *own* words win."""

    def uses(one: RewrittenStep) -> tuple[ToldUse, ...]:
        return tuple(
            ToldUse(
                (formula.lines[line.position].text if line.position is not None else "") or line.ingredient.name,
                line.ingredient.key, a.share, a.grams, a.told, line.ingredient.name, line.position,
                all(u.is_sure for u in one.step.uses if u.position == line.position),
            )
            for a in one.amounts
            for line in (planned[a.line],)
        )  # fmt: skip

    def told(one: RewrittenStep) -> ToldStep:
        foods = [planned[a.line].ingredient for a in one.amounts]
        step = replace(_told(one.step, uses(one), one), key=one.key, stirred_every_min=_stirred(one.step, foods))
        words = (own or {}).get(one.key)
        return replace(step, text=words, ours=step.text) if words else step

    return MethodTold(title, tuple(told(one) for one in steps))


def _stirred(step: MethodStep, foods: Sequence[Ingredient]) -> int | None:
    """Return after how many minutes a step is stirred again, where it lasts longer than that."""
    every = stirred_every(step.text, foods if step.temperature_c is None else ())
    return every if every and not (step.wait and step.wait.high_min <= every) else None


def _read(steps: Sequence[Step], lines: Sequence[MethodLine], links: Sequence[Link] = ()) -> MethodRead:
    read = read_method(steps, lines, links)
    if not read.steps:
        raise NoMethodError("this recipe tells no method: write down what is done, step by step", field="method")
    return read


def steps_of_plan(
    formula: Formula, steps: Sequence[Step], plan: Plan, cup: CupStandard, links: Sequence[Link] = ()
) -> MethodTold:
    """Return the method of a plan: the original's steps at the plan's amounts.

    Raises
    ------
    NoMethodError
        The recipe tells no method.
    """
    pantry = shipped_pantry()
    own = lines_of_foods((x.text, x.component, x.ingredient, x.grams, x.stage) for x in formula.lines)
    planned = [
        PlannedLine(
            x.position,
            x.component,
            pantry[x.ingredient] if x.ingredient in pantry else _food(plan, x.ingredient),
            x.after_g,
            own_amount(formula, x.position, x.ingredient, x.after_g) or x.household,
            x.before_g,
            own_name(own, x.position, x.ingredient),
        )
        for x in plan.lines
    ]
    kinds = {b.component: families()[b.family] for b in plan.balance}
    found = rewritten(formula, plan.after, steps, planned, kinds, cup, pantry, links, plan.recast)
    return told_plan(formula.title, formula, planned, found)


def _food(plan: Plan, key: str) -> Ingredient:
    return next(line.ingredient for line in (*plan.after.lines, *plan.before.lines) if line.ingredient.key == key)


def rewritten(
    before: Formula,
    after: Formula,
    steps: Sequence[Step],
    planned: Sequence[PlannedLine],
    kinds: Mapping[str, Family],
    cup: CupStandard,
    pantry: Pantry,
    links: Sequence[Link] = (),
    on: Sequence[Recasted] = (),
) -> tuple[RewrittenStep, ...]:
    """Return the method of *before* for the amounts of *after*; *kinds* are the families of its components, where they are known.

    *links* say where lines go in by the baker's own word; *on* what stands on another base.
    """
    lines = lines_of_foods((x.text, x.component, x.ingredient, x.grams, x.stage) for x in before.lines)
    main = before.heaviest()
    known = {c: kinds.get(c) or nature_of(before, c).family for c in before.components}
    known |= {x.component: families()[x.family] for x in on}

    def told(food: Ingredient, grams: float) -> str:
        return told_food(before, food, grams, cup)

    read = _read(steps, lines, links)
    notes = notes_for(_cuts(before, after))
    found = rewrite(
        read,
        lines,
        planned,
        told,
        preparations_for(planned, known, pantry),
        baking_of(before, after, main, known[main], on) if before.lines else None,
        with_batter(notes, on, read.steps, lines) if on else notes,
    )
    return unpoured(found, on, read.steps, lines)


def baking_of(before: Formula, after: Formula, main: str, family: Family, on: Sequence[Recasted] = ()) -> Baking:
    """Return how the component *main*, of a *family*, bakes at the amounts of *after*; *on* what stands on another base."""
    old, new = (measure(as_mixed(f.only(main).lines, family)) for f in (before, after))
    found = baking(family, before, old, new, verdicts(gauges(family, old), old, new, is_baked=family.browns))
    other = next((x for x in on if x.component == main), None)
    return found if other is None or not family.browns else baked_on(found, other, before.bake_minutes)


def _cuts(before: Formula, after: Formula) -> dict[str, float]:
    """Return the share of its sugars that each component loses."""
    found = {}
    for component in before.components:
        old, new = (
            sum(x.ingredient.per_100g.total_sugars_g * x.grams for x in f.lines if x.component == component)
            for f in (before, after)
        )
        found[component] = 1 - new / old if old > 0 else 0.0
    return found


def pair(before: Formula, after: Formula, cup: CupStandard) -> list[PlannedLine]:
    """Return a version's lines beside the original's: each by its food and component, or by the line's own words where the worktop made
    another food of it; what is gone at 0 g, what came in without a position."""
    free = list(range(len(before.lines)))
    taken: dict[int, int] = {}

    def take(is_same: Callable[[FormulaLine, FormulaLine], bool]) -> None:
        for n, line in enumerate(after.lines):
            if n in taken:
                continue
            same = (k for k in free if before.lines[k].component == line.component and is_same(before.lines[k], line))
            if (at := next(same, None)) is not None:
                free.remove(at)
                taken[n] = at

    take(lambda old, new: old.ingredient.key == new.ingredient.key)
    take(lambda old, new: bool(old.text) and old.text == new.text)
    found: list[PlannedLine] = []
    names = lines_of_foods((x.text, x.component, x.ingredient, x.grams, x.stage) for x in before.lines)
    for n, line in enumerate(after.lines):
        at = taken.get(n)
        own = own_amount(before, at, line.ingredient.key, line.grams)
        told = own or told_amount(before, line, line.grams, cup)[0]
        found.append(
            PlannedLine(
                at,
                line.component,
                line.ingredient,
                line.grams,
                told,
                before.lines[at].grams if at is not None else 0.0,
                own_name(names, at, line.ingredient.key),
            )
        )
    found += [
        PlannedLine(k, before.lines[k].component, before.lines[k].ingredient, 0.0, "", before.lines[k].grams)
        for k in free
    ]
    return found
