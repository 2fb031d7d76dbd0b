"""A plan's amounts while a slider or an amount moves: the last plan's ingredients kept, one linear program a component."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace

from sun_crumb.core.balance import verdicts
from sun_crumb.core.formula import Formula, FormulaLine, Totals, total
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.recasting import recast
from sun_crumb.core.rework.parts import balance_of, locks_of, parts_of, share_of
from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.solving.together import Kept
from sun_crumb.core.telling.unmet import ComponentBalance
from sun_crumb.core.wish.goals import Goals


@dataclass(frozen=True, slots=True)
class Preview:
    """A plan with the ingredients of the last one, for while a slider moves: amounts [g], totals, verdicts, no reasons."""

    lines: tuple[tuple[int | None, str, str, float], ...]
    balance: tuple[ComponentBalance, ...]
    after: Formula
    totals_after: Totals


def frame_of(goals: Goals, formula: Formula) -> Goals:
    """Return *goals* without what moves in a drag: cut and sweetness at the path's own, locked amounts as they were.

    Parameters
    ----------
    goals
        The wish at one position of a slider.
    formula
        The recipe; a lock beyond its lines stays as it is, and rework tells.
    """
    locks = {n: formula.lines[n].grams if 0 <= n < len(formula.lines) else g for n, g in goals.locks.items()}
    return replace(goals, cut=None, keep_sweet=None, locks=locks)


class Drag:
    """One recipe with one set of ingredients, for as long as a slider moves.

    Candidates, families and matrices are made once, and each component's linear program is solved once, at the path's
    own cut and sweetness; every position of the slider starts from there, so what it shows does not depend on the way
    the slider came.

    Parameters
    ----------
    formula, goals, pantry
        As for rework; of the goals, cut, sweetness and locked amounts may differ at each position.
    support
        What the last plan brought in: (component, ingredient, grams).

    Raises
    ------
    NothingToReworkError, OutOfDomainError
        As rework does.
    """

    def __init__(
        self, formula: Formula, goals: Goals, pantry: Pantry, support: Iterable[tuple[str, str, float]]
    ) -> None:
        self.formula = formula
        support = list(support)
        frame = frame_of(goals, formula)
        self.other = recast(formula, frame, cup_standard("us"))
        if self.other is None:
            self.parts = list(parts_of(formula, frame, pantry))
        else:
            self.parts = list(parts_of(self.other.formula, self.other.goals, pantry, self.other.references))
        problems, brought, held_pieces = [], [], []
        for part in self.parts:
            if part.problem is not None:
                last = {key: grams for component, key, grams in support if component == part.component and grams > 0}
                held = [
                    a
                    for a in part.problem.additions
                    if a.ingredient.key in last or a.kind == "stand_in" or a.set_g is not None
                ]
                # A stand-in goes by the problem, and what moves by pieces stays as the last plan had it.
                pieces = {
                    n: last[x.ingredient.key] for n, x in enumerate(part.formula.lines) if x.ingredient.key in last
                }
                problems.append(replace(part.problem, additions=held))
                brought.append([last.get(a.ingredient.key, 0.0) for a in held])
                held_pieces.append(pieces)
        self.kept = Kept(problems, brought, held_pieces, share_of(self.parts, frame))

    def at(self, goals: Goals) -> Preview:
        """Return the preview at one position: *goals* that differ from the first ones in what moves only."""
        rows: list[tuple[int | None, str, str, float]] = []
        after: list[FormulaLine] = []
        balances: list[ComponentBalance] = []
        solved = iter(self._solved(goals))
        for part in self.parts:
            if part.problem is None:
                lines = list(part.formula.lines)
            else:
                problem, grams = next(solved)
                lines = problem.lines_at(grams)
                judged = verdicts(
                    problem.gauges, problem.before, problem.quantities_at(grams), is_baked=problem.family.browns
                )
                balances.append(balance_of(part, judged))
            old = len(part.positions)
            rows += [
                (part.positions[n] if n < old else None, part.component, x.ingredient.key, x.grams)
                for n, x in enumerate(lines)
                if n < old or x.grams > 0
            ]
            after += [x for x in lines if x.grams > 0]
        if self.other is not None:
            origins = self.other.origins
            rows = [(None if n is None else origins[n], c, key, grams) for n, c, key, grams in rows]
            rows += [
                (n, self.formula.lines[n].component, self.formula.lines[n].ingredient.key, 0.0) for n in self.other.gone
            ]
        rows.sort(key=lambda row: len(self.formula.lines) if row[0] is None else row[0])
        made = replace(self.formula, lines=tuple(after), helpings_of_whole=self.formula.helpings)
        return Preview(tuple(rows), tuple(balances), made, total(made.lines))

    def _solved(self, goals: Goals) -> list[tuple[Problem, list[float]]]:
        """Return the components' problems at this position of the slider, and their amounts [g]."""
        positions = [part.positions for part in self.parts if part.problem is not None]
        goals = goals if self.other is None else self.other.moved(goals)
        problems = []
        for problem, where in zip(self.kept.problems, positions, strict=True):
            kept_g = {n: problem.locks[n] for n in problem.seasoned if n < len(where)}
            locks = locks_of(problem.formula, where, goals, problem.family)
            problems.append(replace(problem, goals=goals, locks=kept_g | locks))
        found = self.kept.amounts(problems, share_of(self.parts, goals)) or [as_it_was(p) for p in problems]
        return list(zip(problems, found, strict=True))


def preview(formula: Formula, goals: Goals, pantry: Pantry, support: Iterable[tuple[str, str, float]]) -> Preview:
    """Return *formula* rebalanced with only what *support* brought in, not rounded: one position of a Drag.

    Parameters
    ----------
    formula, goals, pantry
        As for rework.
    support
        What the last plan brought in: (component, pantry key, grams).

    Raises
    ------
    NothingToReworkError, OutOfDomainError
        As rework does.
    """
    return Drag(formula, goals, pantry, support).at(goals)


def as_it_was(problem: Problem) -> list[float]:
    """Return the amounts of a component that nothing was found for: the original's, but for what is locked [g]."""
    return [row.original_g if row.lock_g is None else row.lock_g for row in problem.rows]
