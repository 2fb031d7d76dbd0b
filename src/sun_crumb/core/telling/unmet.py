"""Which goals gave way, and how each is told."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.balance import Family, Verdict
from sun_crumb.core.balance.verdicts import FAR_BROWNER
from sun_crumb.core.formula import Formula, Totals
from sun_crumb.core.offers.addition import capped_share
from sun_crumb.core.offers.moves import counted_per_gram, is_cuttable
from sun_crumb.core.offers.stand_ins import no_stand_in
from sun_crumb.core.pantry import Ingredient, diets
from sun_crumb.core.reference import constant, table
from sun_crumb.core.solving.problem import LEAST_SWEET, Problem
from sun_crumb.core.solving.together import MOST_TAKEN
from sun_crumb.core.wish.eaters import eaters
from sun_crumb.core.wish.goals import CAPS, DEFINITIONS, Goals
from sun_crumb.core.wish.money import cost_of

# What too much of a kind of sweetener is like (common practice, no published source).
PASSED = {
    "puree": "it may stay wet and gummy in the middle",
    "paste": "it may come out dense and gummy",
    "syrup": "it may come out sticky and dark",
    "filler": "it may come out pasty, and stomachs may mind",
}

# How far rounding may leave the cut short before the goal counts as missed.
CUT_TOLERANCE = 0.02


Status = Literal["balanced", "strained", "unmet"]


@dataclass(frozen=True, slots=True)
class Unmet:
    """A goal that gave way."""

    goal: str
    asked: float
    reached: float
    words: str


@dataclass(frozen=True, slots=True)
class ComponentBalance:
    """The balance of one component; ``residual`` says what rounding its amounts moved.

    ``against`` is what it is held against: the original, or what another base asks. ``confidence`` is how likely its family is (1 where the baker said it), ``candidates`` the families that it may be.
    """

    component: str
    family: str
    family_name: str
    verdicts: tuple[Verdict, ...]
    residual: str = ""
    confidence: float = 1.0
    candidates: tuple[Family, ...] = ()
    against: str = "the original"

    @property
    def is_sure(self) -> bool:
        """Whether nobody need be asked what kind of dessert it is."""
        return self.confidence >= constant("family_sure")


def unmet_goals(
    goals: Goals,
    original: Formula,
    before: Totals,
    formula: Formula,
    after: Totals,
    balances: list[ComponentBalance],
    passed: list[Unmet],
) -> list[Unmet]:
    """Return what could not be had: *formula* is the reworked one, *before* and *after* the whole batches.

    *passed* is what passed_caps told of each component.
    """
    found = []
    old = getattr(before, goals.counted)
    reached = 1 - getattr(after, goals.counted) / old if old else 0.0
    if reached < goals.wanted_cut - CUT_TOLERANCE:
        told = f"{DEFINITIONS[goals.counted]} falls by {max(100 * reached, 0.0):.0f} % instead of {100 * goals.wanted_cut:.0f} %"
        found.append(
            Unmet(
                "cut", goals.wanted_cut, round(reached, 4), f"{told}: {_why_short(goals, original, formula, balances)}"
            )
        )
    found += _over_limits(goals, formula, after)
    held_keys = {line.ingredient.key for line in formula.lines}
    for key in goals.including:
        if key not in held_keys:
            found.append(
                Unmet("including", 1.0, 0.0, f"{key.replace('_', ' ')} can't come in: with it the dessert fails")
            )
    found += _ruled_out(goals, original, formula)
    found += passed
    found += _out_of_balance(goals, balances)
    return found


def _over_limits(goals: Goals, formula: Formula, after: Totals) -> Iterator[Unmet]:
    """Give what a portion holds or costs more of than was asked."""
    servings = formula.servings
    for goal, most, key, unit in (
        ("energy", goals.most_energy_kcal, "energy_kcal", "kcal"),
        ("free_sugar", goals.most_free_sugar_g, "free_sugars_who_g", "g of free sugar"),
    ):
        held = getattr(after, key) / servings
        if most is not None and held > most * 1.01 + 0.05:
            told = f"a portion holds {held:.0f} {unit}; at most {most:g} was asked"
            yield Unmet(goal, most, round(held, 2), told)
    cost = (cost_of(formula.lines, goals.prices) or 0.0) / servings
    if goals.most_cost is not None and cost > goals.most_cost * 1.01 + 0.005:
        told = f"what is priced of a portion costs {cost:.2f}; at most {goals.most_cost:.2f} was asked"
        yield Unmet("cost", goals.most_cost, round(cost, 4), told)


def _out_of_balance(goals: Goals, balances: Iterable[ComponentBalance]) -> Iterator[Unmet]:
    """Give the metrics that lie outside their band."""
    for balance in balances:
        for verdict in balance.verdicts:
            if is_advice(verdict) or verdict.level == "balanced":
                continue
            where = f" of the {balance.component}" if balance.component else ""
            if verdict.key == "sweetness":
                told = f"tastes {verdict.words}{where and f' ({balance.component})'}; {100 * goals.wanted_sweetness:.0f} % was asked"
            else:
                told = f"{verdict.name.lower()}{where} {verdict.told} against {balance.against}: {verdict.words}"
            yield Unmet(verdict.key, 0.0, round(verdict.deviation, 4), told)


def is_advice(verdict: Verdict) -> bool:
    """Return whether a verdict only asks for another oven, and is no fault of the plan: browning that is not far out."""
    return verdict.key == "browning" and verdict.deviation + 1 <= FAR_BROWNER


def passed_caps(problem: Problem, grams: list[float]) -> list[Unmet]:
    """Return which kinds of sweetener pass what this kind of dessert takes of them, at these amounts [g]."""
    found = []
    mass = problem.before["mass"]
    for kind, name in CAPS.items():
        counted = [capped_share(row.line, row.addition, kind) > 0 for row in problem.rows]
        before = sum(row.original_g for row, yes in zip(problem.rows, counted, strict=True) if yes)
        after = sum(g for g, yes in zip(grams, counted, strict=True) if yes)
        cap = max(problem.family.caps[kind], before / mass)
        if after > (cap + 0.005) * mass:
            told = (
                f"{name} comes to {100 * after / mass:.0f} % of the batter; this kind of dessert "
                f"({problem.family.name}) takes about {100 * cap:.0f} %: {PASSED[kind]}"
            )
            found.append(Unmet("caps", cap, round(after / mass, 4), told))
    return found


def lost_floor(problem: Problem, grams: list[float]) -> list[Unmet]:
    """Return that too little is left of the sugar that this kind of dessert stands on, where a diet or the baker took it out."""
    floor = problem.family.crystal_floor
    crystal = [problem.crystal_per_gram(row.line.ingredient) for row in problem.rows]
    old = sum(c * row.original_g for c, row in zip(crystal, problem.rows, strict=True))
    new = sum(c * g for c, g in zip(crystal, grams, strict=True))
    if not floor or old <= 0 or new >= (floor - FLOOR_SLACK) * old:
        return []
    told = f"{100 * new / old:.0f} % is left of the sugar that {problem.family.name} stands on, {100 * floor:.0f} % at least is needed"
    why = (
        f": {problem.family.why_floor[0].lower()}{problem.family.why_floor[1:].rstrip('.')}"
        if problem.family.why_floor
        else ""
    )
    return [Unmet("floor", floor, round(new / old, 4), told + why)]


# What a spoon may leave below the floor [share].
FLOOR_SLACK = 0.02


def _why_short(goals: Goals, original: Formula, formula: Formula, balances: Iterable[ComponentBalance]) -> str:
    """Return what keeps the cut from going further: lines that are never cut or that the baker has set, sweetness, else the balance."""
    there = {(line.component, line.ingredient.key) for line in original.lines}
    held = {(original.lines[i].component, original.lines[i].ingredient.key) for i in goals.locks}
    was = {(line.component, line.ingredient.key): 0.0 for line in original.lines}
    for line in original.lines:
        was[line.component, line.ingredient.key] += line.grams
    rest: dict[str, float] = {}
    halved = set[str]()
    whole = 0.0
    for line in formula.lines:
        sugar = counted_per_gram(line, goals.counted) * line.grams
        whole += sugar
        key = (line.component, line.ingredient.key)
        if key in there and (key in held or not is_cuttable(line, goals.counted)):
            name = line.ingredient.name.lower()
            rest[name] = rest.get(name, 0.0) + sugar
            if line.grams < AS_IT_WAS * was[key]:
                halved.add(name)
    cuttable = sum(counted_per_gram(x, goals.counted) * x.grams for x in formula.lines) - sum(rest.values())
    asked = (1 - goals.wanted_cut) * sum(counted_per_gram(x, goals.counted) * x.grams for x in original.lines)
    # With no sugar left but what can't go there would be more of it than asked.
    is_too_much = sum(rest.values()) > asked or _has_given(goals, original, formula)
    is_nearly_gone = sum(rest.values()) > SOME_REST * whole and is_too_much
    if cuttable > 0.05 * whole and not is_nearly_gone:
        if goals.preset.most_new and any(_is_barely_sweet(b, goals) for b in balances):
            return "with less it would hardly be sweet, and this path has nothing more that suits it"
        return "beyond that the dessert would leave its balance"
    names = sorted(rest, key=lambda name: -rest[name])
    most = [name for name in names if rest[name] > 0.15 * whole][:2] or names[:1]
    is_alone = halved.isdisjoint(most)
    named = (
        f"in the {' and the '.join(most)}, {'which the plan leaves alone' if is_alone else 'of which no more can go'}"
    )
    if cuttable > OTHER_REST * whole:
        return f"much of the rest is {named}; beyond that the dessert would leave its balance"
    return f"the rest is {named}"


# Less of a line than this is not the line left alone [share] (judgement).
AS_IT_WAS = 0.97
# More of it than this elsewhere is told too [share] (judgement).
OTHER_REST = 0.15
# So much of the sugar that is left is said to be the reason that no more goes [share].
SOME_REST = 0.35


def _has_given(goals: Goals, original: Formula, formula: Formula) -> bool:
    """Return whether a component with sugar that can't go has given of the other as much as it gives for that."""

    def sugar(of: Formula, component: str, can_go: bool) -> float:
        lines = (x for x in of.lines if x.component == component and is_cuttable(x, goals.counted) == can_go)
        return sum(counted_per_gram(x, goals.counted) * x.grams for x in lines)

    return any(
        sugar(original, c, False) > 0
        and sugar(formula, c, True) <= (1 - MOST_TAKEN + AT_LEAST) * sugar(original, c, True)
        for c in {line.component for line in original.lines if is_cuttable(line, goals.counted)}
    )


def _is_barely_sweet(balance: ComponentBalance, goals: Goals) -> bool:
    """Return whether a component is as little sweet as any is to be under this wish."""
    sweet = next((v for v in balance.verdicts if v.key == "sweetness"), None)
    if sweet is None:
        return False
    nearly = AT_LEAST if sweet.level == "balanced" else NEARLY
    return sweet.after <= (min(LEAST_SWEET, goals.wanted_sweetness) + nearly) * sweet.before


# What a spoon may leave above the least sweetness [share], where it is no less sweet than asked and where it is.
AT_LEAST, NEARLY = 0.02, 0.08


def _rules(goals: Goals) -> dict[str, frozenset[str]]:
    """Return what diets and allergies rule out: tags by name, in the order of the goals."""
    names = {row["tag"]: row["name"] for row in table("allergens")}
    return (
        {diets()[key].name: diets()[key].excluded_tags for key in goals.diets}
        | {f"no {names[tag]}": frozenset({tag}) for tag in goals.avoid}
        | {eaters()[key].name: eaters()[key].excluded_tags for key in goals.eaters}
    )


def ruled_out_by(ingredient: Ingredient, goals: Goals) -> list[str]:
    """Return the diets and allergies among the goals that rule an ingredient out, by name."""
    return [name for name, tags in _rules(goals).items() if tags & ingredient.tags]


def _ruled_out(goals: Goals, original: Formula, formula: Formula) -> list[Unmet]:
    """Return each diet and allergy that the recipe's own lines break: the plan swaps sweeteners, not butter and eggs."""
    asked = {original.lines[i].ingredient.key for i in goals.locks} | set(goals.including)
    asked |= {key for _, key, _ in goals.amounts}
    found = []
    for name, tags in _rules(goals).items():
        held = [x.ingredient.name.lower() for x in formula.lines if x.grams > 0 and x.ingredient.tags & tags]
        if held:
            why = "; ".join(
                dict.fromkeys(
                    "you keep it" if x.ingredient.key in asked else no_stand_in(x)
                    for x in formula.lines
                    if x.grams > 0 and x.ingredient.tags & tags
                )
            )
            told = f"“{name}” does not hold: {', '.join(dict.fromkeys(held))}; {why}"
            found.append(Unmet("diet", 1.0, 0.0, told))
    return found


def status_of(unmet: list[Unmet], balances: list[ComponentBalance]) -> Status:
    """Return balanced, strained (within two bands) or unmet; a diet that the recipe breaks is told, and no balance."""
    unmet = [u for u in unmet if u.goal != "diet"]
    if any(u.goal in ("cut", "energy", "free_sugar", "cost", "including", "floor") for u in unmet) or any(
        v.level == "off" for b in balances for v in b.verdicts if v.key not in ("browning",)
    ):
        return "unmet"
    return "strained" if unmet else "balanced"
