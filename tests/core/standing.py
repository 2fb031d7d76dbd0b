"""What the core says today, whole: plans, methods, sums and natures of made-up desserts, as texts that a baker can read.

``python -m tests.core.standing`` writes the texts in tests/core/standing/ anew; test_standing compares. They hold what no
single test names. A change of theirs is read in the diff as a baker reads a plan, and goes in with its reason.
"""

from __future__ import annotations

import sys
from collections.abc import Callable, Iterator
from dataclasses import fields, is_dataclass, replace
from pathlib import Path

from bench.conventional import DESSERTS as CONVENTIONAL
from bench.desserts import DESSERTS

from sun_crumb.core.balance import Family
from sun_crumb.core.balance.nature import natures
from sun_crumb.core.errors import CoreError
from sun_crumb.core.exploring.check import check
from sun_crumb.core.exploring.compare import frontier, side_by_side
from sun_crumb.core.exploring.relaxing import relaxations
from sun_crumb.core.exploring.sensitivity import sensitivity
from sun_crumb.core.formula import Formula, analyse, from_reading
from sun_crumb.core.formula.portions import suggested_kinds
from sun_crumb.core.kitchen.candy import stages
from sun_crumb.core.kitchen.keeping import keeping
from sun_crumb.core.kitchen.ovens import at_height, dial_words, setting
from sun_crumb.core.kitchen.preparations import prepare
from sun_crumb.core.kitchen.schedule import schedule
from sun_crumb.core.kitchen.tasks import tasks_of
from sun_crumb.core.kitchen.timetable import Sleep
from sun_crumb.core.kitchen.tins import read_size, refit, scoops, with_eggs
from sun_crumb.core.method import read_method
from sun_crumb.core.method.lines import lines_of_reading
from sun_crumb.core.pantry import Ingredient, shipped_pantry
from sun_crumb.core.pantry.household import household
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reading import method_of, read_recipe
from sun_crumb.core.recasting import possible_bases
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.wish import Goals, paths
from sun_crumb.services import bake_day
from tests.core.fresh_recipes import FRESH
from tests.core.method_cases import FIRST, SECOND, THIRD
from tests.core.test_preparations import CALLS

FOLDER = Path(__file__).parent / "standing"
US = cup_standard("us")

# Wishes that between them use every part of the engine; each dessert takes four, in turn.
WISHES: tuple[Goals, ...] = (
    Goals(path="blend", cut=0.5),
    Goals(path="fruit", cut=0.4),
    Goals(path="zero", cut=0.9),
    Goals(path="unrefined", cut=1.0),
    Goals(path="less", cut=0.3),
    Goals(path="blend", cut=0.6, diets=("vegan",)),
    Goals(path="zero", cut=0.7, eaters=("small_child", "pregnant")),
    Goals(path="blend", cut=0.5, keep_sweet=0.8, most_energy_kcal=220.0),
    Goals(path="fruit", cut=0.6, including=("medjool_date",), most_new=2),
    Goals(path="blend", cut=0.4, definition="total_sugars_g", cupboard=("honey", "banana", "erythritol", "milk")),
    Goals(path="blend", cut=0.5, eaters=("infant",), avoid=("milk",)),
    Goals(path="zero", cut=0.5, without=("stevia_extract", "allulose"), most_cost=4.0),
)


def dumped(value: object, depth: int = 0) -> str:
    """Return a record of the core as one line: figures to four digits, empty fields left out."""
    if isinstance(value, float):
        return f"{value:.4g}"
    if isinstance(value, Ingredient | Family):
        return value.key
    if isinstance(value, dict):
        return "{" + " ".join(f"{k}={dumped(v)}" for k, v in value.items() if _says(v)) + "}"
    if isinstance(value, frozenset | set):
        return dumped(sorted(value, key=str))
    if isinstance(value, list | tuple):
        return "[" + ", ".join(dumped(v) for v in value) + "]"
    if is_dataclass(value):
        return dumped({f.name: getattr(value, f.name) for f in fields(value)})
    return str(value)


def _says(value: object) -> bool:
    return value not in (None, "", 0.0, False) and value != () and value != [] and value != {}


def _recipe(text: str) -> Formula:
    pantry = shipped_pantry()
    return from_reading(read_recipe(text, pantry), pantry)[0]


def told(plan: Plan) -> Iterator[str]:
    """Give a plan as a baker reads it, and each figure behind it."""
    yield f"{plan.status}: {plan.words}"
    for line in plan.lines:
        if line.position is None or line.after_g != line.before_g:
            yield f"  {line.ingredient} {line.before_g:.4g} -> {line.after_g:.4g} g, {line.household} · {line.reason}"
    for part in plan.balance:
        yield f"  {part.component or 'all'}: {part.family} {part.confidence:.3g} {part.residual}"
        for v in part.verdicts:
            yield f"    {v.key} {v.before:.4g} -> {v.after:.4g} ({v.deviation:.3g}) {v.level} {v.told} {dumped(v.norm)}"
    yield f"  holds {dumped(plan.totals_after)}"
    yield f"  saves {dumped(plan.savings)}"
    for name in ("unmet", "advice", "cautions", "flavour", "instead", "by_the_book", "claims"):
        yield from (f"  {name}: {dumped(one)}" for one in getattr(plan, name))


def plans() -> Iterator[str]:
    """Give every dessert under four wishes."""
    for n, (name, text) in enumerate(DESSERTS.items()):
        for k in range(4):
            wish = WISHES[(n + 3 * k) % len(WISHES)]
            yield f"## {name}: {dumped({f.name: getattr(wish, f.name) for f in fields(wish)})}"
            try:
                yield from told(rework(_recipe(text), wish, shipped_pantry()))
            except CoreError as exc:
                yield f"  {exc}"


def on_bases() -> Iterator[str]:
    """Give conventional desserts on other bases, as a baker reads them, and their methods."""
    for name, (text, keys) in CONVENTIONAL.items():
        reading = read_recipe(text, shipped_pantry())
        formula = _recipe(text)
        method = method_of(reading)
        yield f"## {name}: can be made {', '.join(base.words for base in possible_bases(formula, Goals()))}"
        for key in dict.fromkeys(keys):
            yield f"{key}:"
            try:
                plan = rework(formula, Goals(base=key, cut=0.5, keep_sweet=0.9), shipped_pantry())
            except CoreError as exc:
                yield f"  {exc}"
                continue
            yield from told(plan)
            yield from (f"  as {dumped(one)}" for one in plan.recast)
            cooked = replace(formula, oven=method.oven, bake_minutes=method.bake_minutes)
            for step in bake_day.steps_of_plan(cooked, method.steps, plan, US).steps:
                yield f"  {step.n} {step.text} {dumped(step.notes)} {dumped(step.temperature_c)} {dumped(step.wait)}"


def explored() -> Iterator[str]:
    """Give what is said around a plan: paths side by side, the front, what gives way, what a nudge does, the verdict on a recipe as it is."""
    pantry = shipped_pantry()
    for n, (name, text) in enumerate(DESSERTS.items()):
        formula = _recipe(text)
        yield f"## {name}"
        yield dumped(suggested_kinds(formula))
        yield from (f"  nature {c}: {dumped(x)}" for c, x in natures(formula).items())
        yield f"  check {dumped(check(formula))}"
        for sugar, factor in (("erythritol", 1.0), ("stevia_erythritol", 1.6), ("honey", 0.7), ("baking_soda", 0.02)):
            lines = tuple(
                replace(x, ingredient=pantry[sugar], grams=factor * x.grams) if x.ingredient.has_role("sugar") else x
                for x in formula.lines
            )
            yield f"  check with {sugar} {dumped(check(replace(formula, lines=lines)))}"
        yield f"  analysis {dumped(analyse(formula))}"
        if n % 4 == 0:
            tall = Goals(path="blend", cut=0.9, diets=("vegan",))
            for side in side_by_side(formula, Goals(cut=0.5), pantry):
                yield f"  side {side.path}: {dumped([getattr(side, f.name) for f in fields(side) if f.name != 'plan'])}"
            yield from (f"  point {dumped(x)}" for x in frontier(formula, Goals(), pantry))
            yield from (f"  gives way {dumped(x)}" for x in relaxations(formula, tall, pantry))
            yield from (f"  nudge {dumped(x)}" for x in sensitivity(formula, Goals(cut=0.5), pantry))


def methods() -> Iterator[str]:
    """Give what methods are read as, and how they read for a plan."""
    schools = list(paths())
    for n, case in enumerate((*FIRST, *SECOND, *THIRD)):
        pantry = shipped_pantry()
        read = read_recipe(case.text, pantry)
        formula = from_reading(read, pantry)[0]
        yield f"## {formula.title}"
        yield from (f"  nature {c}: {dumped(x)}" for c, x in natures(formula).items())
        yield from (f"  {dumped(kept)}" for kept in keeping({c: x.family for c, x in natures(formula).items()}))
        steps = method_of(read).steps
        try:
            plan = rework(formula, Goals(path=schools[n % len(schools)], cut=0.5), pantry)
        except CoreError as exc:
            yield f"  {exc}"
            continue
        for step in bake_day.steps_of_plan(formula, steps, plan, US).steps:
            yield f"  {dumped(step)}"


def reads() -> Iterator[str]:
    """Give what methods of strangers' recipes are read as, and when their steps would be done."""
    pantry = shipped_pantry()
    for n, (text, title, *_) in enumerate(FRESH):
        if n % 3:
            continue
        read = read_recipe(text, pantry)
        found = read_method(method_of(read).steps, lines_of_reading(read, pantry))
        yield f"## {title}"
        for step in found.steps:
            uses = " ".join(f"{use.position}:{use.share:.3g}{'' if use.is_sure else '?'}" for use in step.uses)
            rest = {f.name: getattr(step, f.name) for f in fields(step) if f.name not in ("uses", "mentions", "text")}
            yield f"  {step.text[:60]} | {uses} | {dumped(rest)}"
        yield f"  left {found.unplaced}"
        if n % 12 == 0 and found.steps:
            tasks, night = tasks_of(found.steps), Sleep(22 * 60 + 30, 6 * 60 + 30)
            for serve, now, pins in (
                (16 * 60, None, {}),
                (7 * 60, None, {}),
                (600, 560, {}),
                (900, None, {tasks[-1].id: 880}),
            ):
                plan = schedule(tasks, serve, night, now, pins)
                at = " ".join(f"{one.id}@{one.start}-{one.end}" for one in plan.tasks)
                yield f"  serve {serve} from {now} {dict(pins)}: {plan.feasible} {plan.start} {plan.earliest} {plan.clashes} {at}"


def sums() -> Iterator[str]:
    """Give the sums of the kitchen: measures, tins, ovens, heights, boiled sugar, preparations."""
    pantry = shipped_pantry()
    for key in ("vanilla_pod", "cinnamon", "banana", "cloves", "bay_leaf", "yoghurt", "gelatine"):
        if key in pantry:
            amounts = (0.3, 0.9, 1.4, 2.2, 3.1, 4.6, 5.9, 7.7, 12.3, 55.0, 231.0)
            yield f"{key}: " + "; ".join(
                f"{g:g} {household(pantry[key], g, US)} {household(pantry[key], g, US, is_weighed=True)}"
                for g in amounts
            )
    for key in ("caster_sugar", "honey", "plain_flour", "egg", "butter", "milk", "medjool_date", "stevia_extract"):
        amounts = (
            0.3,
            1,
            2.6,
            5,
            8.2,
            11,
            14.9,
            17,
            22,
            24.9,
            33,
            47,
            61.5,
            88,
            103,
            118,
            142,
            187,
            206,
            251,
            333,
            480,
        )
        yield f"{key}: " + "; ".join(f"{g:g} {household(pantry[key], g, US)}" for g in amounts)
    for old, new in (("20 cm round", "23x33 cm"), ("9 in square", "900 g loaf tin"), ("muffin_12", "2 x 20 cm round")):
        yield dumped(refit(read_size(old), read_size(new), (30, 40)))
        yield dumped(refit(read_size(old), read_size(new), (30, 40), keep_amount=True))
    yield dumped([with_eggs(f, e) for f in (0.4, 0.5, 0.75, 1.3, 1.9) for e in (1, 2, 3, 5)])
    yield dumped([scoops(g, n) for g in (400.0, 730.0) for n in (12, 20, 40)])
    for degrees, unit in ((160.0, "C"), (375.0, "F"), (6.0, "gas"), (0.5, "gas"), (410.0, "F")):
        yield dumped([setting(degrees, unit), setting(degrees, unit, is_fan=True, offset_c=8.0)])
    yield dumped(
        [dial_words(c, is_fan=f, offset_c=o) for c in (150.0, 190.0) for f in (True, False) for o in (-15.0, 7.0)]
    )
    yield dumped([at_height(h) for h in (0.0, 850.0, 1500.0, 2400.0, 3900.0)])
    yield dumped([stages(h, m) for h in (0.0, 1800.0) for m in (1.0, 1.8)])
    for kind, given, _ in CALLS:
        yield f"{kind} {given}: {dumped(prepare(kind, given, pantry).as_figures())}"


TEXTS: dict[str, Callable[[], Iterator[str]]] = {
    "plans": plans,
    "explored": explored,
    "on_bases": on_bases,
    "methods": methods,
    "reads": reads,
    "sums": sums,
}


def main() -> int:
    """Write every text anew."""
    FOLDER.mkdir(exist_ok=True)
    for name, lines in TEXTS.items():
        (FOLDER / f"{name}.txt").write_text("\n".join(lines()) + "\n", encoding="utf-8")
    return 0


if __name__ == "__main__":
    sys.exit(main())
