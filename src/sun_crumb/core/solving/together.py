"""The components of one recipe solved as one problem: the cut goes where each can bear it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from sun_crumb.core.solving.model import Build
from sun_crumb.core.solving.penalty import CUT_OVER, CUT_SHORT
from sun_crumb.core.solving.problem import BLEND_UP_TO, Problem
from sun_crumb.core.solving.solver import INFINITY, LinearModel, WarmStart

# What a component pays that is cut deeper than the whole recipe, and by how much of its sugar it may be for nothing (judgement).
UNEVEN, UNEVEN_FREE = 6.0, 0.08
# What is baked to a crumb, or set, loses no more than this for another part's sake, as far as that can be had; and what each part beyond costs (judgement).
MOST_CUT, BARE = 0.7, 600.0
# Where more of the sugar than this can't be cut, no part loses more than its own share of the cut, or than so much of a small one [share] (judgement).
MOSTLY, LEAST_OWN = 0.5, 0.4
# Of the sugar that can go no more than this goes for the sake of what can't, where half or so is to go [share] (judgement: a spoon of it left is neither one thing nor the other).
MOST_TAKEN = 0.72
# What one more kind of sweetener costs a plan, in however many parts it is used (judgement).
ONE_MORE_JAR = 0.7
KEEP_SOME = (
    "frosting",
    "butter_cake",
    "foam_cake",
    "oil_cake",
    "quick_bread",
    "cookie",
    "brownie",
    "shortbread",
    "custard",
    "set_cream",
)


@dataclass(frozen=True, slots=True)
class Share:
    """The cut that several components bear together: how much of their sugar is to go, and what the rest of the recipe holds of it [g]."""

    wanted_cut: float
    left_g: float = 0.0


@dataclass(frozen=True, slots=True)
class Solved:
    """One component's amounts [g], in the order of its rows; ``problem`` with the cut that it bears, and whether they are proven best."""

    problem: Problem
    grams: list[float]
    is_proven: bool


def solve(problems: Sequence[Problem], share: Share) -> list[Solved] | None:
    """Return the amounts of all components at once: the cut goes where each can bear it.

    Texture stays within two bands where that is possible at all; else sweetness gives way, down to the least there is to be, then the sugar cut. Where the search ends
    without a proof, a guess is tried too: what the relaxed model uses most, and the rest solved around it.

    Parameters
    ----------
    problems
        The components that are rebalanced, with the recipe's own cut.
    share
        What they bear together.
    """
    if not problems:
        return []
    for hard in (True, False):
        model, builds = _together(problems, share, hard)
        solution = model.solve()
        values = solution.values if solution is not None else None
        is_proven = solution is not None and solution.is_proven
        if not is_proven and (values is not None or not hard):
            most = sum(max(p.goals.new_at_most, 1) for p in problems)
            guess = model.solve_around([k for b in builds for k in b.choices], most)
            if guess is not None and (values is None or model.cost_of(guess) < model.cost_of(values)):
                values = guess
        if values is not None:
            return [_solved(b, values, is_proven=is_proven) for b in builds]
    return None


def _solved(build: Build, values: list[float], *, is_proven: bool) -> Solved:
    """Return one component's part of a solution, with the cut that fell to it."""
    grams = build.grams(values)
    problem = build.p
    if problem.counted_before > 0:
        held = float(problem.counted @ np.array(grams))
        cut = min(max(1 - held / problem.counted_before, 0.0), 1.0)
        problem = replace(problem, goals=replace(problem.goals, cut=cut, keep_sweet=problem.goals.wanted_sweetness))
    return Solved(problem, grams, is_proven)


def _together(problems: Sequence[Problem], share: Share, hard: bool) -> tuple[LinearModel, list[Build]]:
    """Return one model of all components and their cut."""
    model = LinearModel()
    builds = [Build(problem, hard, model) for problem in problems]
    _few_kinds(model, builds)
    whole = sum(p.counted_before for p in problems) + share.left_g
    if whole <= 0 or not any(p.counted_before > 0 for p in problems):
        return model, builds
    # By the batch, as a baker cuts and as portions count it: more batter around the same sugar is no cut.
    short, over = model.add(0.0, INFINITY, CUT_SHORT), model.add(0.0, INFINITY, CUT_OVER)
    terms: dict[int, float] = {short: -1.0, over: 1.0}
    held = share.left_g / whole
    for build in builds:
        base, mine = build.combine(build.p.counted / whole)
        held += base
        terms |= mine
    # So much of the sugar stays whatever is done: condensed milk, jam, what is set.
    is_mostly_left = held > MOSTLY
    for build in builds:
        # A custard beside jam and bought sponge bears the cut alone: with fruit only, nothing makes up for the sugar that it loses.
        is_bared = share.left_g > 0 and "fruit_only" in build.p.goals.preset.traits
        if (len(builds) > 1 or is_bared or is_mostly_left) and build.p.counted_before > 0:
            _evenly(model, build, share, build.p.counted_before / whole, is_mostly_left=is_mostly_left)
        _some_stays(model, build, share, whole)
    wanted = 1 - share.wanted_cut - held
    model.require(terms, wanted, wanted)
    return model, builds


def _few_kinds(model: LinearModel, builds: Sequence[Build]) -> None:
    """Let each kind of sweetener that has to be fetched cost once, in however many parts it is used: one jar for sponge and icing."""
    kinds: dict[str, list[int]] = {}
    for build in builds if len(builds) > 1 else ():
        for n, used in build.used.items():
            addition = build.p.rows[n].addition
            if addition is not None and addition.is_sweetener and not addition.is_required:
                kinds.setdefault(build.p.rows[n].line.ingredient.key, []).append(used)
    for uses in kinds.values():
        fetched = model.add(0.0, 1.0, ONE_MORE_JAR)
        for used in uses:
            model.require({used: 1.0, fetched: -1.0}, upper=0.0)


def _evenly(model: LinearModel, build: Build, share: Share, weight: float, *, is_mostly_left: bool) -> None:
    """Let a component that is cut deeper than the whole recipe pay for it."""
    base, mine = build.combine(build.p.counted / build.p.counted_before)
    deeper = model.add(0.0, INFINITY, UNEVEN * weight)
    most = 1.0
    if build.p.family.is_among(KEEP_SOME) and share.wanted_cut < MOST_CUT - UNEVEN_FREE:
        most = MOST_CUT  # a sponge without any sugar is none: it stops paying for the rest before that
    if is_mostly_left:
        most = min(most, max(share.wanted_cut, LEAST_OWN))  # no crust pays for condensed milk that can't move
    if most < 1.0:
        bare = model.add(0.0, INFINITY, BARE * weight)
        model.require({**mine, bare: 1.0}, lower=1 - most - base)
    model.require({**mine, deeper: 1.0}, lower=1 - share.wanted_cut - UNEVEN_FREE - base)


def _some_stays(model: LinearModel, build: Build, share: Share, whole: float) -> None:
    """Let the sugar that can go not go nearly all of it for what can't, jam or chocolate in the same batter."""
    rows = build.p.rows
    can_go = np.array([row.is_cut for row in rows]) * build.p.counted
    there = float(can_go @ np.array([row.original_g for row in rows]))
    if there <= 0 or share.wanted_cut > BLEND_UP_TO:
        return
    base, mine = build.combine(can_go / there)
    bare = model.add(0.0, INFINITY, BARE * there / whole)
    model.require({**mine, bare: 1.0}, lower=1 - max(share.wanted_cut, MOST_TAKEN) - base)


class Kept:
    """Problems that keep what the last plan brought in, as one linear program; whole pieces and swaps stay as they were.

    Solved once as it stands: problems that differ in goals and locked amounts only start from there.

    Parameters
    ----------
    problems
        The components.
    last
        Of each what the last plan brought in [g], in the order of its additions.
    pieces
        Of each what the last plan held of lines that go by pieces, by row [g].
    share
        The cut that they bear together.
    """

    def __init__(
        self, problems: Sequence[Problem], last: list[list[float]], pieces: list[dict[int, float]], share: Share
    ) -> None:
        self.last, self.pieces = last, pieces
        self.problems = [
            replace(problem, additions=[replace(a, is_required=True) for a in problem.additions])
            for problem in problems
        ]
        model, builds = _together(self.problems, share, False)
        self.start = WarmStart(model, self._fixed(builds))

    def _fixed(self, builds: list[Build]) -> dict[int, float]:
        fixed: dict[int, float] = {}
        for build, last, pieces in zip(builds, self.last, self.pieces, strict=True):
            there = len(build.p.formula.lines)
            fixed |= {variable: float(last[n - there] / size) for n, (variable, size) in build.whole.items()}
            for row, (up, down, step) in build.stepped.items():
                untouched = build.p.rows[row].untouched_g
                moved = pieces.get(row, untouched) - untouched
                fixed[up], fixed[down] = max(moved, 0.0) / step, max(-moved, 0.0) / step
        return fixed

    def amounts(self, problems: Sequence[Problem], share: Share) -> list[list[float]] | None:
        """Return the amounts [g] of the lines and of all the additions of each component, or None where there are none."""
        model, builds = _together(problems, share, False)
        values = model.solve_relaxed(self._fixed(builds), self.start)
        return None if values is None else [build.grams(values) for build in builds]
