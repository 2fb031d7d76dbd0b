"""A whole recipe reworked: each component solved, rounded, judged and explained."""

from __future__ import annotations

from dataclasses import dataclass, replace

from sun_crumb.core.balance import Family, verdicts
from sun_crumb.core.formula import Analysis, Formula, FormulaLine, Totals, analyse, portion, served, total
from sun_crumb.core.formula.told import told_amount, told_step
from sun_crumb.core.offers.flavour import Flavour
from sun_crumb.core.offers.moves import is_cuttable
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.recasting import Recast, Recasted, recast
from sun_crumb.core.rework.on_another_base import as_of_original, base_words, batter_words, less_sweet
from sun_crumb.core.rework.parts import Part, balance_of, parts_of, share_of
from sun_crumb.core.rework.plan_line import PlanLine
from sun_crumb.core.rework.preview import as_it_was
from sun_crumb.core.rework.surely import asked_for_sure, not_so_sure, spreads
from sun_crumb.core.rework.swaps import sugar_left, without_small_swaps
from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.solving.rounding import rounded
from sun_crumb.core.solving.together import Solved, solve
from sun_crumb.core.sugars.claims import Claim, claims
from sun_crumb.core.sugars.savings import Savings, savings
from sun_crumb.core.telling.advice import ByTheBook, by_the_book, cautions
from sun_crumb.core.telling.as_told import amount_before
from sun_crumb.core.telling.consequences import consequences, instead
from sun_crumb.core.telling.headline import Told, headline
from sun_crumb.core.telling.reasons import reason
from sun_crumb.core.telling.unmet import (
    ComponentBalance,
    Status,
    Unmet,
    lost_floor,
    passed_caps,
    ruled_out_by,
    status_of,
    unmet_goals,
)
from sun_crumb.core.telling.unused import unused
from sun_crumb.core.wish.eaters import eater_cautions
from sun_crumb.core.wish.goals import Goals


@dataclass(frozen=True, slots=True)
class Plan:
    """A rework with all that can be asked about it. ``before`` and ``after`` are the whole batch."""

    status: Status
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
    flavour: tuple[Flavour, ...]
    instead: tuple[str, ...]
    claims: tuple[Claim, ...]
    words: str
    is_proven: bool
    recast: tuple[Recasted, ...] = ()

    @property
    def holds_before(self) -> Analysis:
        """What the original holds."""
        return analyse(self.before)

    @property
    def holds_after(self) -> Analysis:
        """What the rework holds."""
        return analyse(self.after)

    @property
    def savings_per_batch(self) -> Savings:
        """What all portions together save."""
        return self.savings.times(self.after.servings)


def rework(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None = None) -> Plan:
    """Return *formula* rebalanced for *goals*.

    Every component with sugar to cut is solved by itself, in its own dessert family; the others stay as they are.

    Parameters
    ----------
    formula
        The recipe in grams.
    goals
        What is wanted; what is left open comes from its path.
    pantry
        What may come in.
    cup
        The cup standard that amounts are told in; US by default.

    Raises
    ------
    NothingToReworkError
        There is no sugar of the kind to cut, or nothing besides sugar.
    OutOfDomainError
        A lock names a line that does not exist.

    References
    ----------
    docs/method.md
    """
    cup = cup or cup_standard("us")
    if goals.confidence is None:
        return _planned(formula, goals, goals, pantry, cup)
    plan = _planned(formula, goals, replace(goals, confidence=None), pantry, cup)
    for _ in range(ROUNDS):
        one, two = spreads(formula, plan.after, plan.lines, cup, dict(pantry.learned_sds))
        plan = _planned(formula, goals, asked_for_sure(goals, one, two, formula.servings), pantry, cup)
    return plan


# So many times a surer wish is asked anew from the plan before: the doubt hardly moves after the second.
ROUNDS = 2


def _planned(formula: Formula, goals: Goals, solved: Goals, pantry: Pantry, cup: CupStandard) -> Plan:
    """Return the plan for the wish *solved*, told against *goals*."""
    other = recast(formula, solved, cup)
    made = _Made(formula, goals, cup, other)
    asked = (formula, solved, pantry) if other is None else (other.formula, other.goals, pantry, other.references)
    parts = list(parts_of(*asked))
    found = _solved(parts, solved)
    short = _short_by(parts, found, solved)
    if short > SHORT and any(_has_its_own(part, solved) for part in parts):
        # The apples' two spoons go too, where the crumble over them can't pay for all.
        more = list(parts_of(*asked, is_short=True))
        again = _solved(more, solved)
        if _short_by(more, again, solved) < short - SHORT:
            parts, found = more, again
    amounts = iter(found)
    for part in parts:
        if part.problem is None:
            made.leave(part)
        else:
            one = next(amounts)
            made.take(part, one.problem, one.grams, is_proven=one.is_proven)
    return made.plan(pantry)


# A cut is short, and less short, by so much of the sugar at least [share] (judgement).
SHORT = 0.03


def _short_by(parts: list[Part], found: list[Solved], goals: Goals) -> float:
    """Return what part of the recipe's sugar is left beyond what the cut would leave."""
    left = share_of(parts, goals).left_g
    whole = left + sum(part.problem.counted_before for part in parts if part.problem)
    return (left + sugar_left(found)) / whole - (1 - goals.wanted_cut) if whole else 0.0


def _has_its_own(part: Part, goals: Goals) -> bool:
    """Return whether a component that is left as it is holds sugar that could go."""
    return part.problem is None and any(is_cuttable(line, goals.counted) for line in part.formula.lines)


def _solved(parts: list[Part], goals: Goals) -> list[Solved]:
    """Return the amounts of all components that have a problem; without what must come in where nothing holds with it."""
    problems, share = [part.problem for part in parts if part.problem], share_of(parts, goals)
    for tried in (problems, [_freed(p) for p in problems]):
        if (found := solve(tried, share)) is not None:
            return without_small_swaps(tried, found, share)
    return [Solved(problem, as_it_was(problem), False) for problem in problems]


def _freed(problem: Problem) -> Problem:
    return replace(problem, additions=[replace(a, is_required=False) for a in problem.additions])


class _Made:
    """A plan in the making: components are left or taken one after the other."""

    def __init__(self, formula: Formula, goals: Goals, cup: CupStandard, other: Recast | None = None) -> None:
        self.formula, self.goals, self.cup, self.other = formula, goals, cup, other
        self.after: list[FormulaLine] = []
        self.lines: list[PlanLine] = []
        self.balances: list[ComponentBalance] = []
        self.main = formula.heaviest()
        self.told: list[tuple[str, list[str]]] = []
        self.added: dict[str, float] = {}
        self.sugar_out, self.is_proven = _sugar_left_out(formula, goals, other), True
        self.families: list[Family] = []
        self.flavours: tuple[Flavour, ...] = ()
        self.passed: list[Unmet] = []

    def leave(self, part: Part) -> None:
        """Keep a component as it is."""
        self.after += part.formula.lines
        self.lines += [
            _same(line, i, self.cup, self.formula) for line, i in zip(part.formula.lines, part.positions, strict=True)
        ]

    def take(self, part: Part, problem: Problem, exact: list[float], *, is_proven: bool) -> None:
        """Take the *exact* amounts [g] found for a component, rounded to what the kitchen measures."""
        grams = rounded(problem, exact, self.cup)
        family = problem.family
        self.flavours = self.flavours or part.flavours
        self.is_proven = self.is_proven and is_proven
        self.families.append(family)
        lines = problem.lines_at(grams)
        judged = verdicts(problem.gauges, problem.before, problem.quantities_at(grams), is_baked=problem.family.browns)
        self.passed += [*passed_caps(problem, grams), *lost_floor(problem, grams)]
        residual = _residual(problem, exact, grams)
        self.balances.append(balance_of(part, judged, residual))
        is_main = part.component == self.main
        self.told.append((part.component, consequences(problem, grams, judged, is_main=is_main)))
        self.lines += _explained(problem, grams, lines, part.positions, self.cup, self.formula)
        self.after += [line for line in lines if line.grams > 0]
        for row, amount in zip(problem.rows, grams, strict=True):
            if row.addition is None and is_cuttable(row.line, self.goals.counted):
                self.sugar_out += row.original_g - amount
            elif amount > 0 and row.is_new_sweetener:
                key = row.line.ingredient.key
                self.added[key] = self.added.get(key, 0.0) + amount

    def _told_lines(self) -> tuple[PlanLine, ...]:
        """Return the plan's lines by the original's positions, where some stand on another base too."""
        return (
            tuple(self.lines) if self.other is None else as_of_original(self.lines, self.formula, self.other, self.cup)
        )

    def _advice(self) -> list[str]:
        """Return what to do otherwise, each once; where several components change, what is not for all says for which."""
        names = [name or "the base" for name, _ in self.told]
        every: dict[str, list[str]] = {}
        for name, sentences in zip(names, (sentences for _, sentences in self.told), strict=True):
            for sentence in sentences:
                every.setdefault(sentence, []).append(name)
        return [
            sentence if len(those) == len(names) else f"{' and '.join(those).capitalize()}: {_small(sentence)}"
            for sentence, those in every.items()
        ]

    def plan(self, pantry: Pantry) -> Plan:
        """Return the plan of all components."""
        formula, goals = self.formula, self.goals
        after = replace(formula, lines=tuple(self.after), helpings_of_whole=formula.helpings)
        before_totals, after_totals = total(formula.lines), total(after.lines)
        eaten = (served(formula), served(after)) if formula.own_yields else (before_totals, after_totals)
        saved = savings(*eaten, after.servings)
        passed = [*self.passed, *less_sweet(self.other, goals, formula, after, self.balances)]
        lines = self._told_lines()
        if goals.confidence is not None:
            one, two = spreads(formula, after, lines, self.cup, dict(pantry.learned_sds))
            passed += not_so_sure(goals, one, two, formula.servings)
        unmet = unmet_goals(goals, formula, before_totals, after, after_totals, self.balances, passed)
        return Plan(
            status=status_of(unmet, self.balances),
            lines=lines,
            balance=tuple(self.balances),
            before=formula,
            after=after,
            totals_before=before_totals,
            totals_after=after_totals,
            savings=saved,
            by_the_book=tuple(
                by_the_book(self.sugar_out, formula.mass_g, self.added, pantry, {key for _, key, _ in goals.amounts})
            ),
            cautions=(
                *eater_cautions(goals.eaters, after, *(portion(t, formula.servings) for t in eaten)),
                *cautions(after, set(self.added), self.families),
            ),
            unmet=tuple(unmet),
            advice=(*batter_words(self.other), *self._advice(), *unused(goals, formula, after, self.families, pantry)),
            flavour=self.flavours,
            instead=tuple(
                instead(before_totals, after_totals, after.lines, formula.servings, goals, unmet, self.families)
            ),
            claims=tuple(
                claims(
                    before_totals,
                    after_totals,
                    after.lines,
                    after.servings,
                    formula.lines,
                    [x.kin for x in self.families],
                )
            ),
            words=base_words(self.other) + headline(Told(goals, formula, after, before_totals, after_totals, saved)),
            is_proven=self.is_proven,
            recast=self.other.told if self.other else (),
        )


def _sugar_left_out(formula: Formula, goals: Goals, other: Recast | None) -> float:
    """Return what another base leaves out of the sugar to cut before anything is rebalanced [g]."""
    if other is None:
        return 0.0
    held = (sum(x.grams for x in f.lines if is_cuttable(x, goals.counted)) for f in (formula, other.formula))
    return next(held) - next(held)


def _small(sentence: str) -> str:
    return sentence[:1].lower() + sentence[1:]


def _residual(problem: Problem, exact: list[float], grams: list[float]) -> str:
    """Return what rounding, and putting back changes that gain too little, moved most, in words."""
    first, last = problem.quantities_at(exact), problem.quantities_at(grams)
    moved = [(abs(g.deviation(last) - g.deviation(first)), g.name) for g in problem.gauges if g.metric.key != "alkali"]
    most, name = max(moved, key=lambda pair: pair[0], default=(0.0, ""))
    if most < 0.005:
        return "rounding moves nothing by 1 %"
    return f"rounding moves {name.lower()} most: {100 * most:.0f} %"


def _step(formula: Formula, line: FormulaLine, cup: CupStandard) -> float:
    """Return what one step of a line's amount is: a piece for what is counted, else a spoon, else a gram [g]."""
    each = line.ingredient.measure("each")
    if line.ingredient.group == "egg" and each:
        return each.grams / 2
    return told_step(formula, line, max(line.grams, 0.01), cup)


def _same(line: FormulaLine, position: int, cup: CupStandard, formula: Formula) -> PlanLine:
    text = amount_before(formula, position, cup)
    return PlanLine(
        position=position,
        component=line.component,
        ingredient=line.ingredient.key,
        name=line.ingredient.name,
        before_g=line.grams,
        after_g=line.grams,
        household_before=text,
        household=text,
        reason="",
        is_locked=False,
        step_g=_step(formula, line, cup),
    )


def _explained(
    problem: Problem,
    grams: list[float],
    lines: list[FormulaLine],
    positions: list[int],
    cup: CupStandard,
    original: Formula,
) -> list[PlanLine]:
    """Return the plan lines of one component in the recipe's order: what stands in for a line after it, what else came in
    after the last sugar that is cut."""
    told: list[tuple[int, PlanLine]] = []
    cut = (i for x, i in zip(problem.formula.lines, positions, strict=True) if is_cuttable(x, problem.goals.counted))
    last_cut = max(cut, default=-1)
    for n, (row, line) in enumerate(zip(problem.rows, lines, strict=True)):
        was, addition = row.original_g, row.addition
        if addition is not None and line.grams <= 0:
            continue
        changed = abs(line.grams - was) > 1e-9
        locked = row.set_g is not None and not row.seasoning
        why = ""
        if changed:
            why = _set(line, problem) if row.lock_g is not None and locked else reason(problem, n, grams)
        text = told_amount(problem.formula, line, line.grams, cup)[0] if line.grams else "none"
        text_before = "" if addition is not None and changed else text
        if addition is None:
            text_before = _before(original, positions[n], row.line, was, cup)
        text = text if changed else text_before
        if addition is None:
            place = positions[n]
        else:
            place = last_cut if addition.replaces is None else positions[addition.replaces]
        shown = PlanLine(
            position=positions[n] if addition is None else None,
            component=line.component,
            ingredient=line.ingredient.key,
            name=line.ingredient.name,
            before_g=was,
            after_g=round(line.grams, 2),
            household_before=text_before,
            household=text,
            reason=why,
            is_locked=locked,
            step_g=_step(problem.formula, line.at(max(line.grams, was)), cup),
            can_set=row.can_set,
        )
        told.append((place, shown))
    return [line for _, line in sorted(told, key=lambda pair: pair[0])]


def _before(original: Formula, at: int, line: FormulaLine, was: float, cup: CupStandard) -> str:
    """Return how much there was of a line: as the original tells it, where the line is one of the original's."""
    old = original.lines[at] if at < len(original.lines) else None
    if old is not None and old.ingredient.key == line.ingredient.key and abs(old.grams - was) < 1e-9:
        return amount_before(original, at, cup)
    return told_amount(original, line, was, cup)[0] if was else ""


def _set(line: FormulaLine, problem: Problem) -> str:
    if line.ingredient.key in problem.goals.without:
        return "left out, as you asked"
    if not line.grams and line.ingredient.tags & problem.goals.excluded:
        return f"left out for “{'”, “'.join(ruled_out_by(line.ingredient, problem.goals))}”"
    return "set by you"
