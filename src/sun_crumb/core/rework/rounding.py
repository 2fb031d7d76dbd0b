"""Amounts that a spoon, a cup or a scale can measure, chosen together so that the errors don't pile up."""

from __future__ import annotations

from math import ceil, floor

import numpy as np

from sun_crumb.core.balance import QUANTITIES, sweetened
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.rework.candidates import is_cuttable
from sun_crumb.core.rework.model import BEYOND, CUT_OVER, CUT_SHORT, FAR, INSIDE, OUTSIDE
from sun_crumb.core.rework.problem import LIMITS, Matrix, Problem, bounds

ROUNDS = 4
# Less than this share of a sugar that is cut is not worth a spoon: it goes too.
LEFTOVER = 0.02
# What rounding may take from the cut before it counts, as a share of the sugar that was there.
NEAR = 0.01


def grid_of(ingredient: Ingredient, grams: float, cup: CupStandard) -> float:
    """Return the step [g] that *ingredient* is measured in near *grams*."""
    spoons = ingredient.spoons(cup)
    if spoons is not None:
        return spoons.grid(grams)
    return 1.0 if grams < 100 else 5.0


class TrueCost:
    """What amounts of one problem cost by the true metrics, the saturating sweetness included.

    Everything but that sweetness adds up over the lines, so a trial that moves one amount is the last sums and one row.
    """

    def __init__(self, problem: Problem) -> None:
        self.problem = problem
        self.most = [*problem.allowed.values(), *(most for _, most in problem.sittings)]
        limits = [[LIMITS[name](line) for line in problem.rows] for name in problem.allowed]
        self.wanted = problem.before["sweetness"] * problem.goals.wanted_sweetness
        self.rows: Matrix = np.column_stack(
            [problem.per_gram, problem.counted, *limits, *(held for held, _ in problem.sittings)]
        )

    def __call__(self, grams: list[float]) -> float:
        """Return the cost of *grams* [g], in the order of the problem's lines and additions."""
        return self.of(self.sums(grams))

    def sums(self, grams: list[float]) -> Matrix:
        """Return what adds up over the lines at these amounts [g]."""
        sums: Matrix = np.array(grams) @ self.rows
        return sums

    def moved(self, sums: Matrix, position: int, by: float) -> Matrix:
        """Return *sums* with the amount at *position* moved *by* so much [g]."""
        trial: Matrix = sums + by * self.rows[position]
        return trial

    def of(self, sums: Matrix) -> float:
        """Return the cost of amounts that come to these *sums*."""
        problem = self.problem
        values = sums.tolist()
        after = sweetened(dict(zip(QUANTITIES, values, strict=False)))
        counted, *held = values[len(QUANTITIES) :]
        sweet = after["sweetness"]
        cost = 0.0
        for gauge in problem.gauges:
            off, steep = gauge.deviation(after), OUTSIDE
            if gauge.metric.key == "sweetness":
                # A smaller batch is no way to be sweet enough: the whole batch's sweetness counts too.
                off, steep = min(off, sweet / self.wanted - 1), FAR
            reach = gauge.reach(off)
            if reach > 0 and steep == FAR:
                # Sweeter than asked costs little until it is sweeter than the original.
                room = max(gauge.old / gauge.wanted - 1, 0.0) / gauge.band[1] + 1
                price = INSIDE * reach + (FAR - INSIDE) * max(reach - room, 0.0)
            else:
                reach = abs(reach)
                price = INSIDE * min(reach, 1.0) + BEYOND * max(reach - 1, 0.0) + (steep - BEYOND) * max(reach - 2, 0.0)
            cost += gauge.metric.weight * price
        if problem.counted_before > 0:
            gap = counted / problem.counted_before - (1 - problem.goals.wanted_cut)
            cost += CUT_SHORT * max(gap - NEAR, 0.0) + CUT_OVER * max(-gap, 0.0)
        for most, there in zip(self.most, held, strict=True):
            cost += CUT_SHORT / 10 * max(there / max(most, 1e-9) - 1.005, 0.0)
        return cost


def rounded(problem: Problem, grams: list[float], cup: CupStandard) -> list[float]:
    """Return *grams* with every changed amount on its grid; cut sugars go down, the rest where the balance wants them."""
    old = problem.formula.lines
    result = list(grams)
    limits = bounds(problem)
    free: list[tuple[int, float]] = []
    # All or nothing, and whole pieces: the model has rounded them already.
    swapped = {a.replaces for a in problem.additions if a.replaces is not None}
    swapped |= {len(old) + n for n, a in enumerate(problem.additions) if a.kind in ("swap", "piece")}
    for i, amount in enumerate(grams):
        ingredient = old[i].ingredient if i < len(old) else problem.additions[i - len(old)].ingredient
        if i in problem.locks or i in swapped:
            continue
        if i < len(old) and abs(amount - old[i].grams) < max(0.004 * old[i].grams, 0.02):
            result[i] = old[i].grams
            continue
        if amount < 0.02:
            result[i] = 0.0
            continue
        step = grid_of(ingredient, amount, cup)
        if i < len(old) and is_cuttable(old[i], problem.goals.counted):
            spoon = ingredient.spoons(cup)
            if spoon is not None and step >= spoon.tablespoon_g:
                # A whole spoon of the sugar would miss the cut by several per cent.
                step = spoon.tablespoon_g / 2
            # Down; up again only where that gains more than the cut loses.
            result[i] = floor(amount / step + 0.02) * step
            if result[i] < LEFTOVER * old[i].grams:
                result[i] = 0.0
            else:
                free.append((i, step))
            continue
        result[i] = max(round(amount / step), 1) * step
        if i < len(old) and abs(result[i] - old[i].grams) < 0.5 * step:
            result[i] = old[i].grams
        free.append((i, step))
    true_cost = TrueCost(problem)
    sums = true_cost.sums(result)
    best = true_cost.of(sums)
    for _ in range(ROUNDS):
        improved = False
        for i, step in free:
            near = {floor(grams[i] / step) * step, ceil(grams[i] / step) * step}
            is_cut = i < len(old) and is_cuttable(old[i], problem.goals.counted)
            for choice in near if is_cut else near | {result[i] + step, result[i] - step}:
                if (
                    choice <= 0
                    or choice == result[i]
                    or abs(choice - grams[i]) > 2.01 * step
                    or not _within(choice, limits[i], step)
                ):
                    continue
                if i < len(old) and abs(choice - old[i].grams) < 0.3 * step:
                    choice = old[i].grams
                trial = true_cost.moved(sums, i, choice - result[i])
                cost = true_cost.of(trial)
                if cost < best - 1e-9:
                    best, sums, result[i], improved = cost, trial, choice, True
        if not improved:
            break
    return _without_trifles(problem, true_cost, result, best)


def _within(choice: float, limits: tuple[float, float], step: float) -> bool:
    """Return whether an amount keeps its limits, give or take a quarter of a step."""
    return limits[0] - 0.25 * step <= choice <= limits[1] + 0.25 * step


def _without_trifles(problem: Problem, true_cost: TrueCost, grams: list[float], cost: float) -> list[float]:
    """Put back every touched line, and leave out every adjuster, whose change gains less than it costs."""
    sums = true_cost.sums(grams)
    old = problem.formula.lines
    prices: dict[int, tuple[float, float]] = {}
    for i, (line, move) in enumerate(zip(old, problem.moves, strict=True)):
        if i not in problem.locks and move is not None and not move.is_cut:
            prices[i] = (line.grams, move.cost)
    for n, addition in enumerate(problem.additions):
        if not (addition.is_sweetener or addition.is_required or addition.kind == "swap"):
            prices[len(old) + n] = (0.0, addition.cost)
    for i, (was, price) in prices.items():
        if grams[i] == was:
            continue
        trial = true_cost.moved(sums, i, was - grams[i])
        dearer = true_cost.of(trial)
        if dearer - cost < price:
            grams[i], sums, cost = was, trial, dearer
    return grams
