"""The next trial: a version with one thing changed, the rest balanced around it by the rework engine."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.pantry.household import grid_of
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.tasting.causes import Change
from sun_crumb.core.wish import Goals

# The kinds of food that a trial changes, as causes.csv names them.
KINDS: dict[str, Callable[[Ingredient], bool]] = {
    "puree": lambda food: food.has_role("puree", "paste"),
    "liquid": lambda food: food.has_role("liquid"),
    "fat": lambda food: food.has_role("fat"),
    "soda": lambda food: food.key == "baking_soda",
    "leaven": lambda food: food.group == "leaven" and food.per_100g.co2_g > 0 and food.key != "baking_soda",
    "egg": lambda food: food.has_role("egg"),
    "filler": lambda food: food.per_100g.inulin_g + food.per_100g.polydextrose_g > 30,
    "intense": lambda food: food.has_role("intense") and not food.has_role("bulk"),
    "polyol": lambda food: food.per_100g.polyols_g > 30,
    "flavour": lambda food: food.has_role("flavour"),
    "sugar": lambda food: food.has_role("sugar", "syrup"),
}
# No wish is less or more sweet than this against the original.
LEAST_SWEET, MOST_SWEET = 0.3, 1.3


@dataclass(frozen=True, slots=True)
class Moved:
    """A line that a trial changes [g]."""

    component: str
    ingredient: str
    name: str
    before_g: float
    after_g: float


@dataclass(frozen=True, slots=True)
class Trial:
    """What to bake next: the amounts, the wish they come from (None where they are only scaled), what moved, and the oven's change."""

    formula: Formula
    goals: Goals | None
    plan: Plan | None
    moved: tuple[Moved, ...]
    minutes: int
    degrees: int


def trial(
    original: Formula,
    version: Formula,
    goals: Goals | None,
    changes: Sequence[Change],
    pantry: Pantry,
    cup: CupStandard | None = None,
) -> Trial:
    """Return the next trial of a version by the first of *changes* that it allows.

    Parameters
    ----------
    original, version
        The recipe as it was, and as it was baked [g].
    goals
        The wish that the version came from; None for the original or what was changed by hand: then lines are scaled as they stand.
    changes
        What to try, the best first.
    pantry
        What may come in.
    cup
        The cup standard that amounts step by; US by default.

    Raises
    ------
    OutOfDomainError
        None of the changes finds anything to change.
    """
    cup = cup or cup_standard("us")
    for change in changes:
        match change.kind:
            case "oven":
                minutes, degrees = (round(change.by), 0) if change.what == "minutes" else (0, round(change.by))
                return Trial(version, goals, None, (), minutes, degrees)
            case "note":
                return Trial(version, goals, None, (), 0, 0)
            case "sweet":
                return _sweeter(original, version, goals, change.by, pantry, cup)
            case "line":
                if found := _lines(original, version, goals, change, pantry, cup):
                    return found
    raise OutOfDomainError("nothing of this kind is in it to change", field="cause")


def _sweeter(
    original: Formula, version: Formula, goals: Goals | None, by: float, pantry: Pantry, cup: CupStandard
) -> Trial:
    if goals is None:
        found = _lines(original, version, None, Change("line", "sugar", 1 + by), pantry, cup)
        if found is None:
            raise OutOfDomainError("no sweetener is in it to change", field="cause")
        return found
    wanted = min(max(goals.wanted_sweetness + by, LEAST_SWEET), MOST_SWEET)
    return _planned(original, version, replace(goals, keep_sweet=round(wanted, 2)), {}, pantry, cup)


def _lines(
    original: Formula, version: Formula, goals: Goals | None, change: Change, pantry: Pantry, cup: CupStandard
) -> Trial | None:
    """Return the trial with every line of a kind scaled; None where there is none, or no step of a spoon is in it."""
    is_meant = KINDS[change.what]
    grams = {
        n: _stepped(line, change.by, cup)
        for n, line in enumerate(version.lines)
        if line.grams > 0 and is_meant(line.ingredient)
    }
    grams = {n: g for n, g in grams.items() if abs(g - version.lines[n].grams) > 1e-6}
    if not grams:
        return None
    if goals is None:
        lines = [replace(line, grams=grams.get(n, line.grams)) for n, line in enumerate(version.lines)]
        made = replace(version, lines=tuple(lines))
        return Trial(made, None, None, _moved(version, made), 0, 0)
    return _planned(original, version, goals, grams, pantry, cup)


def _planned(
    original: Formula, version: Formula, goals: Goals, changed: Mapping[int, float], pantry: Pantry, cup: CupStandard
) -> Trial:
    """Return the plan in which the *changed* lines of the version are set, what sweetens follows, and all else stays as it was baked."""
    places = {(line.component, line.ingredient.key): n for n, line in reversed(list(enumerate(original.lines)))}
    locks, amounts = {}, {}
    for n, line in enumerate(version.lines):
        if n not in changed and sweetens(line.ingredient):
            continue
        at = places.get((line.component, line.ingredient.key))
        grams = changed.get(n, line.grams)
        if at is not None:
            locks[at] = grams
        else:
            amounts[line.component, line.ingredient.key] = grams
    # One thing changes: nothing comes in that is not there already.
    there = {line.ingredient.key for line in (*original.lines, *version.lines)}
    foreign = tuple(food.key for food in pantry if food.key not in there)
    wish = replace(goals, locks=locks, amounts=tuple((c, k, g) for (c, k), g in amounts.items()))
    closed = replace(wish, without=tuple(dict.fromkeys((*goals.without, *foreign))), including=())
    plan = rework(original, closed, pantry, cup)
    return Trial(plan.after, wish, plan, _moved(version, plan.after), 0, 0)


def sweetens(food: Ingredient) -> bool:
    """Return whether a food is there for its sweetness and follows where something else is set; fruit is a part of the crumb."""
    return food.has_role("sugar", "syrup", "intense", "bulk") and not food.has_role(
        "flour", "chocolate", "fruit", "puree", "liquid", "fibre"
    )


def _stepped(line: FormulaLine, factor: float, cup: CupStandard) -> float:
    """Return an amount scaled to the nearest household measure, by one step at least; eggs by whole ones."""
    each = line.ingredient.measure("each") if line.ingredient.has_role("egg") else None
    step = each.grams if each else grid_of(line.ingredient, line.grams, cup)
    wanted = round(line.grams * factor / step) * step
    if abs(wanted - line.grams) < 0.5 * step:
        wanted = line.grams + (step if factor > 1 else -step)
    return max(round(wanted, 3), 0.0)


def _moved(before: Formula, after: Formula) -> tuple[Moved, ...]:
    was, now = _sums(before.lines), _sums(after.lines)
    names = {x.ingredient.key: x.ingredient.name for x in (*before.lines, *after.lines)}
    return tuple(
        Moved(component, key, names[key], was.get((component, key), 0.0), now.get((component, key), 0.0))
        for component, key in dict.fromkeys((*was, *now))
        if abs(was.get((component, key), 0.0) - now.get((component, key), 0.0)) > 0.05
    )


def _sums(lines: Iterable[FormulaLine]) -> dict[tuple[str, str], float]:
    found: dict[tuple[str, str], float] = {}
    for line in lines:
        at = (line.component, line.ingredient.key)
        found[at] = found.get(at, 0.0) + line.grams
    return found
