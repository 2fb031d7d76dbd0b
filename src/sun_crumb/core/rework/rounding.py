"""Amounts that a spoon, a cup or a scale can measure, chosen together so that the errors don't pile up."""

from __future__ import annotations

from math import ceil, floor

import numpy as np

from sun_crumb.core.balance import contribution
from sun_crumb.core.balance.metrics import METRICS, QUANTITIES
from sun_crumb.core.balance.verdicts import deviation
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.rework.candidates import counted_per_gram, is_cuttable, move_of
from sun_crumb.core.rework.model import BEYOND, CUT_OVER, CUT_SHORT, FAR, INSIDE, OUTSIDE
from sun_crumb.core.rework.problem import LIMITS, Problem, bounds
from sun_crumb.core.sugars.sweetness import intense_equivalent

ROUNDS = 4


def grid_of(ingredient: Ingredient, grams: float, cup: CupStandard) -> float:
    """Return the step [g] that *ingredient* is measured in near *grams*."""
    spoons = ingredient.spoons(cup)
    if spoons is not None:
        return spoons.grid(grams)
    return 1.0 if grams < 100 else 5.0


class TrueCost:
    """What amounts of one problem cost by the true metrics, the saturating sweetness included."""

    def __init__(self, problem: Problem) -> None:
        self.problem = problem
        lines = problem.lines_at([0.0] * (len(problem.formula.lines) + len(problem.additions)))
        parts = [contribution(line.ingredient, line.is_inclusion) for line in lines]
        self.parts = np.array([[part[q] for q in QUANTITIES] for part in parts])
        self.counted = np.array([counted_per_gram(line, problem.goals.counted) for line in lines])
        self.limits = {name: np.array([LIMITS[name](line) for line in lines]) for name in problem.allowed}

    def __call__(self, grams: list[float]) -> float:
        """Return the cost of *grams* [g], in the order of the problem's lines and additions."""
        problem = self.problem
        amounts = np.array(grams)
        after = dict(zip(QUANTITIES, (amounts @ self.parts).tolist(), strict=True))
        after["sweetness"] += intense_equivalent(after["glycosides"], after["mass"])
        cost = 0.0
        keep = problem.goals.wanted_sweetness
        for key, (low, high) in problem.family.bands.items():
            metric = METRICS[key]
            off = deviation(metric, problem.before, after, keep)
            if off is None:
                continue
            if key == "sweetness":
                # A smaller batch is no way to be sweet enough: the whole batch's sweetness counts too.
                off = min(off, after["sweetness"] / (problem.before["sweetness"] * keep) - 1)
            reach = abs(off) / (high if off > 0 else low)
            steep = FAR if key == "sweetness" else OUTSIDE
            cost += metric.weight * (
                INSIDE * min(reach, 1.0) + BEYOND * max(reach - 1, 0.0) + (steep - BEYOND) * max(reach - 2, 0.0)
            )
        if problem.counted_before > 0:
            share = (1 - problem.goals.wanted_cut) * problem.counted_before / problem.before["mass"]
            gap = (float(amounts @ self.counted) - share * after["mass"]) / problem.counted_before
            cost += CUT_SHORT / 10 * max(gap - 0.005, 0.0) + CUT_OVER * max(-gap, 0.0)
        for name, most in problem.allowed.items():
            held = float(amounts @ self.limits[name])
            cost += CUT_SHORT / 10 * max(held / max(most, 1e-9) - 1.005, 0.0)
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
            result[i] = floor(amount / step + 0.02) * step
            continue
        result[i] = max(round(amount / step), 1) * step
        if i < len(old) and abs(result[i] - old[i].grams) < 0.5 * step:
            result[i] = old[i].grams
        free.append((i, step))
    true_cost = TrueCost(problem)
    best = true_cost(result)
    for _ in range(ROUNDS):
        improved = False
        for i, step in free:
            for choice in {
                floor(grams[i] / step) * step,
                ceil(grams[i] / step) * step,
                result[i] + step,
                result[i] - step,
            }:
                if (
                    choice <= 0
                    or choice == result[i]
                    or abs(choice - grams[i]) > 2.01 * step
                    or not _within(choice, limits[i], step)
                ):
                    continue
                if i < len(old) and abs(choice - old[i].grams) < 0.3 * step:
                    choice = old[i].grams
                trial = [*result[:i], choice, *result[i + 1 :]]
                cost = true_cost(trial)
                if cost < best - 1e-9:
                    best, result, improved = cost, trial, True
        if not improved:
            break
    return _without_trifles(problem, true_cost, result, best)


def _within(choice: float, limits: tuple[float, float], step: float) -> bool:
    """Return whether an amount keeps its limits, give or take a quarter of a step."""
    return limits[0] - 0.25 * step <= choice <= limits[1] + 0.25 * step


def _without_trifles(problem: Problem, true_cost: TrueCost, grams: list[float], cost: float) -> list[float]:
    """Put back every touched line whose change gains less than touching it costs."""
    for i, line in enumerate(problem.formula.lines):
        move = move_of(line, problem.goals.counted)
        if i in problem.locks or move is None or move.is_cut or grams[i] == line.grams:
            continue
        trial = [*grams[:i], line.grams, *grams[i + 1 :]]
        dearer = true_cost(trial)
        if dearer - cost < move.cost:
            grams, cost = trial, dearer
    return grams
