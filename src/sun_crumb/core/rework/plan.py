"""A whole recipe reworked: each component solved, rounded, judged and explained."""

from __future__ import annotations

from dataclasses import dataclass, replace

from sun_crumb.core.balance import Family, Verdict, families, guess_family, judge, measure
from sun_crumb.core.errors import NothingToReworkError, OutOfDomainError
from sun_crumb.core.formula import Formula, FormulaLine, Totals, served, total
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.household import fraction_text, grams_text, spoon_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.rework.advice import ByTheBook, by_the_book, cautions
from sun_crumb.core.rework.candidates import additions, is_cuttable
from sun_crumb.core.rework.goals import DEFINITIONS, Goals
from sun_crumb.core.rework.model import Problem, problem_of, solve
from sun_crumb.core.rework.reasons import oven_advice, percent, reason
from sun_crumb.core.rework.rounding import rounded
from sun_crumb.core.sugars.savings import Savings, savings

# How far rounding may leave the cut short before the goal counts as missed.
CUT_TOLERANCE = 0.02


@dataclass(frozen=True, slots=True)
class PlanLine:
    """One line before and after [g]; ``position`` is the original's, None for what is new."""

    position: int | None
    component: str
    ingredient: str
    name: str
    before_g: float
    after_g: float
    household_before: str
    household: str
    reason: str
    is_locked: bool


@dataclass(frozen=True, slots=True)
class Unmet:
    """A goal that gave way."""

    goal: str
    asked: float
    reached: float
    words: str


@dataclass(frozen=True, slots=True)
class ComponentBalance:
    """The balance of one component."""

    component: str
    family: str
    family_name: str
    verdicts: tuple[Verdict, ...]


@dataclass(frozen=True, slots=True)
class Plan:
    """A rework with all that can be asked about it. ``before`` and ``after`` are the whole batch."""

    status: str
    lines: tuple[PlanLine, ...]
    balance: tuple[ComponentBalance, ...]
    before: Formula
    after: Formula
    totals_before: Totals
    totals_after: Totals
    savings: Savings
    by_the_book: tuple[ByTheBook, ...]
    cautions: tuple[str, ...]
    unmet: tuple[Unmet, ...]
    advice: tuple[str, ...]
    words: str
    is_proven: bool


def household(ingredient: Ingredient, grams: float, cup: CupStandard) -> str:
    """Return an amount as the kitchen measures it: eggs by number, the rest by cups and spoons, else by weight."""
    each = ingredient.measure("each")
    if ingredient.group == "egg" and each:
        return fraction_text(round(grams / each.grams * 4) / 4)
    spoons = ingredient.spoons(cup)
    if spoons is not None and ingredient.measure("tsp") is None and grams < 0.4 * spoons.tablespoon_g and each:
        return f"{fraction_text(grams / each.grams)}"
    if spoons is not None:
        return spoon_text(grams, spoons)
    if each:
        return fraction_text(round(grams / each.grams * 4) / 4)
    return grams_text(grams)


def rework(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None = None) -> Plan:
    """Return *formula* rebalanced for *goals*.

    Every component with sugar to cut is solved by itself, in its own dessert family; the others stay as they are.

    Raises
    ------
    NothingToReworkError
        There is no sugar of the kind to cut, or nothing besides sugar.
    OutOfDomainError
        A lock names a line that does not exist.
    """
    cup = cup or cup_standard("us")
    _check(formula, goals)
    after_lines: list[FormulaLine] = []
    plan_lines: list[PlanLine] = []
    balances: list[ComponentBalance] = []
    advice: list[str] = []
    added: dict[str, float] = {}
    sugar_out, proven = 0.0, True
    for component in formula.components:
        part = formula.only(component)
        positions = [i for i, line in enumerate(formula.lines) if line.component == component]
        family = _family(part, component, goals)
        if family.key == "fruit":
            part = replace(part, lines=tuple(replace(line, is_body=True) for line in part.lines))
        locks = {n: goals.locks[i] for n, i in enumerate(positions) if i in goals.locks}
        if not locks and not any(is_cuttable(line, goals.counted) for line in part.lines):
            after_lines += part.lines
            plan_lines += [_same(line, i, cup) for line, i in zip(part.lines, positions, strict=True)]
            continue
        problem = problem_of(part, family, goals, additions(part, family, goals, pantry), locks)
        solved = solve(problem)
        grams, is_proven = (
            solved
            if solved is not None
            else (
                [locks.get(n, line.grams) for n, line in enumerate(part.lines)] + [0.0] * len(problem.additions),
                False,
            )
        )
        proven = proven and is_proven
        grams = rounded(problem, grams, cup)
        lines = problem.lines_at(grams)
        verdicts = judge(family, problem.before, measure(lines), goals.wanted_sweetness)
        balances.append(ComponentBalance(component, family.key, family.name, tuple(verdicts)))
        if (
            (oven := oven_advice(verdicts))
            and family.key not in ("frosting", "custard", "fruit")
            and oven not in advice
        ):
            advice.append(oven)
        plan_lines += _explained(problem, grams, positions, cup)
        after_lines += [line for line in lines if line.grams > 0]
        for line, old in zip(lines, part.lines, strict=False):
            if is_cuttable(old, goals.counted):
                sugar_out += old.grams - line.grams
        for addition, amount in zip(problem.additions, grams[len(part.lines) :], strict=True):
            if amount > 0 and addition.is_sweetener:
                added[addition.ingredient.key] = added.get(addition.ingredient.key, 0.0) + amount
    after = replace(formula, lines=tuple(after_lines))
    before_totals, after_totals = total(formula.lines), total(after.lines)
    unmet = _unmet(goals, before_totals, after_totals, balances)
    status = _status(unmet, balances)
    return Plan(
        status=status,
        lines=tuple(plan_lines),
        balance=tuple(balances),
        before=formula,
        after=after,
        totals_before=before_totals,
        totals_after=after_totals,
        savings=savings(served(formula), served(after), after.servings),
        by_the_book=tuple(by_the_book(sugar_out, formula.mass_g, added, pantry)),
        cautions=tuple(cautions(after, set(added))),
        unmet=tuple(unmet),
        advice=tuple(advice),
        words=_words(goals, before_totals, after_totals, formula.unit, formula.servings),
        is_proven=proven,
    )


def _check(formula: Formula, goals: Goals) -> None:
    if not formula.lines:
        raise NothingToReworkError("the recipe has no weighed lines yet", field="lines")
    for position in goals.locks:
        if not 0 <= position < len(formula.lines):
            raise OutOfDomainError(
                f"line {position + 1} can't be locked: the recipe has {len(formula.lines)} lines",
                field="locks",
                position=position,
            )
    what = DEFINITIONS[goals.counted]
    cuttable = [line for line in formula.lines if is_cuttable(line, goals.counted) and line.grams > 0]
    if not cuttable and not goals.locks:
        raise NothingToReworkError(
            f"nothing to cut: no line of this recipe is a sweetener that holds {what}",
            field="lines",
            definition=goals.counted,
        )
    if len(cuttable) == len(formula.lines):
        raise NothingToReworkError("there is nothing in this recipe besides sugar to rebalance", field="lines")


def _family(part: Formula, component: str, goals: Goals) -> Family:
    if component in goals.families:
        return families()[goals.families[component]]
    return guess_family(part.title, component, part.lines)


def _same(line: FormulaLine, position: int, cup: CupStandard) -> PlanLine:
    text = household(line.ingredient, line.grams, cup)
    return PlanLine(
        position,
        line.component,
        line.ingredient.key,
        line.ingredient.name,
        line.grams,
        line.grams,
        text,
        text,
        "",
        False,
    )


def _explained(problem: Problem, grams: list[float], positions: list[int], cup: CupStandard) -> list[PlanLine]:
    """Return the plan lines of one component: sugars first told, then what came in for them, then the rest in order."""
    old = problem.formula.lines
    lines = problem.lines_at(grams)
    kept: list[PlanLine] = []
    new: list[PlanLine] = []
    for n, line in enumerate(lines):
        was = old[n].grams if n < len(old) else 0.0
        if n >= len(old) and line.grams <= 0:
            continue
        changed = abs(line.grams - was) > 1e-9
        locked = n in problem.locks
        told = reason(problem, n, grams) if changed and not locked else "set by you" if locked and changed else ""
        row = PlanLine(
            positions[n] if n < len(old) else None,
            line.component,
            line.ingredient.key,
            line.ingredient.name,
            was,
            round(line.grams, 2),
            household(line.ingredient, was, cup) if was else "",
            household(line.ingredient, line.grams, cup) if line.grams else "none",
            told,
            locked,
        )
        (kept if n < len(old) else new).append(row)
    last_cut = max((i for i, line in enumerate(old) if is_cuttable(line, problem.goals.counted)), default=-1)
    return [*kept[: last_cut + 1], *new, *kept[last_cut + 1 :]]


def _unmet(goals: Goals, before: Totals, after: Totals, balances: list[ComponentBalance]) -> list[Unmet]:
    found = []
    old = getattr(before, goals.counted) / before.mass_g
    new = getattr(after, goals.counted) / after.mass_g
    reached = 1 - new / old if old else 0.0
    if reached < goals.wanted_cut - CUT_TOLERANCE:
        what = DEFINITIONS[goals.counted]
        found.append(
            Unmet(
                "cut",
                goals.wanted_cut,
                round(reached, 4),
                f"{what} falls by {100 * reached:.0f} % instead of {100 * goals.wanted_cut:.0f} %: beyond that the dessert would leave its balance",
            )
        )
    for balance in balances:
        for verdict in balance.verdicts:
            if verdict.key == "browning" or verdict.level == "balanced":
                continue
            if verdict.key == "sweetness" and verdict.deviation > 0:
                continue
            where = f" of the {balance.component}" if balance.component else ""
            if verdict.key == "sweetness":
                told = f"tastes {verdict.words}{where and f' ({balance.component})'}; {100 * goals.wanted_sweetness:.0f} % was asked"
            else:
                told = (
                    f"{verdict.name.lower()}{where} {percent(verdict.deviation)} against the original: {verdict.words}"
                )
            if verdict.key == "alkali":
                told = f"acid and soda{where} are {1000 * verdict.deviation:+.0f} meq/kg off: {verdict.words}".replace(
                    "-", "−"
                )
            found.append(Unmet(verdict.key, 0.0, round(verdict.deviation, 4), told))
    return found


def _status(unmet: list[Unmet], balances: list[ComponentBalance]) -> str:
    if any(u.goal == "cut" for u in unmet) or any(
        v.level == "off"
        for b in balances
        for v in b.verdicts
        if v.key not in ("browning",) and not (v.key == "sweetness" and v.deviation > 0)
    ):
        return "unmet"
    return "strained" if unmet else "balanced"


def _words(goals: Goals, before: Totals, after: Totals, unit: str, servings: int) -> str:
    old, new = before.free_sugars_who_g / servings, after.free_sugars_who_g / servings
    calories = (after.energy_kcal - before.energy_kcal) / servings
    told = f"Free sugar in each {unit}: {grams_text(old)} before, {grams_text(new)} after"
    told += (
        f"; {abs(calories):.0f} kcal {'less' if calories < 0 else 'more'}."
        if abs(calories) >= 1
        else "; calories as before."
    )
    return f"{told} {goals.preset.words}"
