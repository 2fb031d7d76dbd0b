"""Amounts that a spoon, a cup or a scale can measure, chosen together so that the errors don't pile up."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import combinations, product
from math import ceil, floor
from operator import mul

from sun_crumb.core.formula.told import told_amount, told_step
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.solving.fuss import LEAST_G, UNTOUCHED, Fuss
from sun_crumb.core.solving.problem import Problem, bounds
from sun_crumb.core.solving.true_penalty import NO_BREACH, TruePenalty

ROUNDS = 4
# So much a broken rule costs, and more [cost] (judgement).
BROKEN = 1.0
# Less than this part of a sugar is nothing that a baker weighs (judgement).
PINCH = 0.02
# Less than this share of a sugar that is cut is not worth a spoon: it goes too.
LEFTOVER = 0.04
# Nor is so little of it, unless it is much of what there was [g; share] (judgement).
LEAST_LEFT_G, LEAST_LEFT = 12.0, 0.1


def rounded(problem: Problem, grams: list[float], cup: CupStandard) -> list[float]:
    """Return *grams* with every changed amount on its grid; cut sugars go down, the rest where the balance wants them."""
    snap = _Snap(problem, cup)
    steps = _steps(problem, grams, cup)
    result = _on_grid(problem, grams, steps, snap)
    kept = _put_leftovers_back(problem, grams, result, steps, snap)
    # A sugar that is gone stays gone, and what little had to stay stays.
    free = {i: step for i, step in steps.items() if result[i] > 0 and i not in kept}
    true_penalty = TruePenalty(problem)
    _improve(problem, true_penalty, grams, result, free, snap)
    fuss = Fuss(problem, true_penalty, free, snap)
    fuss.without_dashes(result)
    return fuss.without_trifles(result)


@dataclass(frozen=True, slots=True)
class _Snap:
    """Amounts as they can be told: what the words for an amount weigh is the amount."""

    problem: Problem
    cup: CupStandard

    def __call__(self, position: int, grams: float) -> float:
        """Return the amount nearest to *grams* that there are words for [g]."""
        line = self.problem.rows[position].line
        return told_amount(self.problem.formula, line, grams, self.cup)[1] if grams > 0 else grams


def _steps(problem: Problem, grams: list[float], cup: CupStandard) -> dict[int, float]:
    """Return the step [g] of each amount that moved and is free to be rounded."""
    # All or nothing, and whole pieces: the model has rounded them already.
    swapped = {row.addition.replaces for row in problem.rows if row.addition is not None}
    fixed = {i for i, row in enumerate(problem.rows) if i in swapped or row.set_g is not None or row.is_whole}
    found = {}
    for i, amount in enumerate(grams):
        if i in fixed or _is_still(problem, i, amount):
            continue
        line = problem.rows[i].line
        ingredient, weighs = line.ingredient, problem.formula.weighs(line)
        step = told_step(problem.formula, line, amount, cup)
        spoons = ingredient.spoons(cup)
        if _is_cut(problem, i) and weighs and step > 1:
            # Half of 225 g is 112 or 113 g.
            step = told_step(problem.formula, line, 0.01, cup)
        elif _is_cut(problem, i) and spoons is not None and step >= spoons.tablespoon_g:
            # A whole spoon of the sugar would miss the cut by several per cent.
            step = spoons.tablespoon_g / 2
        found[i] = step
    return found


def _is_still(problem: Problem, position: int, amount: float) -> bool:
    """Return whether an amount is nothing, or so near the untouched one that no scale tells."""
    was = problem.rows[position].untouched_g
    if amount < LEAST_G or not was:
        return amount < LEAST_G
    return abs(amount - was) < max(UNTOUCHED * was, LEAST_G)


def _on_grid(problem: Problem, grams: list[float], steps: dict[int, float], snap: _Snap) -> list[float]:
    """Return the first guess: cut sugars rounded down, the rest to the nearest step, what hardly moved as it was [g]."""
    result = list(grams)
    swapped = _swapped_in_part(problem, grams)
    for i, amount in enumerate(grams):
        was = problem.rows[i].untouched_g
        step = steps.get(i)
        if i in swapped:
            result[i] = snap(i, amount)
        elif step is None:
            if _is_still(problem, i, amount) and problem.rows[i].lock_g is None:
                # "A few strands of saffron" weigh next to nothing, and stay.
                result[i] = was if amount >= LEAST_G or was < LEAST_G else 0.0
        elif _is_cut(problem, i):
            # Down; the search may go up again where that gains more than the cut loses.
            result[i] = snap(i, floor(amount / step + 0.02) * step)
            if result[i] < max(LEFTOVER * was, min(LEAST_LEFT_G, LEAST_LEFT * was)):
                result[i] = 0.0
        else:
            result[i] = snap(i, max(round(amount / step), 1) * step)
            if was and abs(result[i] - was) < 0.5 * step:
                result[i] = was
    return result


def _swapped_in_part(problem: Problem, grams: list[float]) -> set[int]:
    """Return the rows of what made way in part, and of what came for it: half a tin of each is what words weigh, too."""
    found = set[int]()
    for i, row in enumerate(problem.rows):
        replaced = row.addition.replaces if row.addition is not None and row.addition.kind == "swap" else None
        if replaced is not None and grams[i] > LEAST_G and grams[replaced] > LEAST_G:
            found |= {i, replaced}
    return found


def _put_leftovers_back(
    problem: Problem, grams: list[float], result: list[float], steps: dict[int, float], snap: _Snap
) -> set[int]:
    """Keep a little of a cut sugar that would be gone, where without it a rule is broken; return the rows of such."""
    kept = set()

    def breach(amounts: list[float]) -> float:
        return sum(rule.breach(sum(map(mul, amounts, rule.per_gram.tolist()))) for rule in problem.rules)

    for i, step in steps.items():
        if result[i] == 0 and grams[i] > LEAST_G and (now := breach(result)) > NO_BREACH:
            least = max(grams[i], PINCH * problem.rows[i].original_g)
            trial = [*result[:i], snap(i, ceil(least / step) * step), *result[i + 1 :]]
            if breach(trial) < now:
                result[i] = trial[i]
                kept.add(i)
    return kept


def _improve(
    problem: Problem,
    true_penalty: TruePenalty,
    grams: list[float],
    result: list[float],
    free: dict[int, float],
    snap: _Snap,
) -> None:
    """Move the *free* amounts of *result* by their steps while that costs less.

    One at a time, and two sugars that are cut together: one up and the other down leaves the cut as it was.
    """
    limits = bounds(problem)
    groups = [*((i,) for i in free), *combinations([i for i in free if _is_cut(problem, i)], 2)]
    sums = true_penalty.sums(result)
    best = true_penalty.of(sums)
    for is_broken in (False, True):
        # Where a rule is broken still, a sugar that is cut may go up a step again.
        if is_broken and true_penalty.limits(sums) <= true_penalty.limits(true_penalty.sums(grams)) + BROKEN:
            break
        for _ in range(ROUNDS):
            improved = False
            for group in groups:
                choices = (
                    _choices(problem, grams[i], result[i], i, free[i], limits[i], snap, is_broken=is_broken)
                    for i in group
                )
                for amounts in product(*choices):
                    trial = sums
                    for i, amount in zip(group, amounts, strict=True):
                        trial = true_penalty.moved(trial, i, amount - result[i])
                    cost = true_penalty.of(trial)
                    if cost < best - 1e-9:
                        best, sums, improved = cost, trial, True
                        for i, amount in zip(group, amounts, strict=True):
                            result[i] = amount
            if not improved:
                break


def _choices(
    problem: Problem,
    exact: float,
    now: float,
    position: int,
    step: float,
    limits: tuple[float, float],
    snap: _Snap,
    *,
    is_broken: bool,
) -> list[float]:
    """Return the amounts that a spoon measures near the *exact* one and near what it is *now* [g]."""
    was = problem.rows[position].untouched_g
    near = {floor(exact / step) * step, ceil(exact / step) * step}
    if not _is_cut(problem, position):
        near |= {now + step, now - step}
    elif is_broken:
        near.add(now + step)
    side = exact - was
    return [
        was if was and abs(choice - was) < 0.3 * step else snap(position, choice)
        for choice in sorted(near)
        # What the model lets grow never shrinks for the sake of a spoon, and the other way round.
        if choice > 0
        and abs(choice - exact) <= 2.01 * step
        and _within(choice, limits, step)
        and (choice - was) * side > -0.3 * step * abs(side)
    ]


def _is_cut(problem: Problem, position: int) -> bool:
    return problem.rows[position].is_cut


def _within(choice: float, limits: tuple[float, float], step: float) -> bool:
    """Return whether an amount keeps its limits, give or take a quarter of a step."""
    return limits[0] - 0.25 * step <= choice <= limits[1] + 0.25 * step
