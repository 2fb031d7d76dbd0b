"""Amounts that a spoon, a cup or a scale can measure, chosen together so that the errors don't pile up."""

from __future__ import annotations

from dataclasses import dataclass
from itertools import combinations, product
from math import ceil, floor
from operator import mul
from typing import NamedTuple

from sun_crumb.core.balance import QUANTITIES, Gauge
from sun_crumb.core.balance.verdicts import HARDLY
from sun_crumb.core.pantry.household import grid_of, household_amount
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.solving.penalty import CUT_OVER, CUT_SHORT, EDGE, INSIDE, Stretches, charged, penalty, stretches
from sun_crumb.core.solving.problem import LIMITS, Problem, bounds
from sun_crumb.core.sugars.sweetness import intense_equivalent

ROUNDS = 4
MASS, SWEETNESS, GLYCOSIDES = (QUANTITIES.index(q) for q in ("mass", "sweetness", "glycosides"))
# An amount [g] that is none, and a change, as a share of a line, that is none.
LEAST_G, UNTOUCHED = 0.02, 0.004
# Less than this part of a sugar is nothing that a baker weighs (judgement).
PINCH = 0.02
# Less than this share of a sugar that is cut is not worth a spoon: it goes too.
LEFTOVER = 0.04
# What a change must gain in texture, as a share of what touching its line costs: of any line, and of what goes by pieces;
# and at least so much of any: most of a band's width (judgement).
LEAST_GAIN, PIECE_GAIN, TOLD_GAIN = 0.25, 1.0, 0.3
# What comes in for the texture and mends nothing that is told must gain so much (judgement).
FETCHED_GAIN = 0.6
# A change of less than this share of its line, or of the batter, is fussy unless it gains so much (judgement).
FUSSY, FUSSY_PART, FUSSY_GAIN = 0.105, 0.015, 0.38
# Several such changes at once must gain so much together.
ALL_FUSS_GAIN = 0.55
# A new sweetener that gives less than this share of the sweetness is a dash; so many steps of another may make up for it (judgement).
DASH, DASH_STEPS = 0.06, 3
# A speck of something strong, less than any spoon but the smallest holds [g], is not worth a jar of it for twice that much.
SPECK, SPECK_G = 0.16, 0.15
# What rounding may take from the cut before it counts, as a share of the sugar that was there.
NEAR = 0.01
# What breaking a rule costs a rounded plan, however little and by how much of it: more than any texture. And a breach that is none.
BREACH, BREACH_SLOPE, NO_BREACH = 30.0, 2000.0, 1e-4


class _Term(NamedTuple):
    """One metric among the sums: where its two quantities stand, what is wanted of it, and what a band's width costs."""

    above: int
    below: int
    wanted: float
    scale: float
    low: float
    high: float
    weight: float
    along: Stretches
    felt: Stretches


class TruePenalty:
    """What amounts of one problem cost by the true metrics, the saturating sweetness included.

    Everything but that sweetness adds up over the lines, so a trial that moves one amount is the last sums and one row:
    plain lists, since arrays of a dozen numbers cost more than they save.
    """

    def __init__(self, problem: Problem) -> None:
        self.problem = problem
        limits = [[LIMITS[name](row.line, problem.goals) for row in problem.rows] for name in problem.allowed]
        held = [rule.per_gram.tolist() for rule in problem.rules]
        self.most = list(problem.allowed.values())
        self.rules = problem.rules
        columns = [problem.counted.tolist(), *limits, *held, [0.0] * len(problem.rows)]
        self.rows = [
            [*row, *more] for row, more in zip(problem.per_gram.tolist(), zip(*columns, strict=True), strict=True)
        ]
        # The last of the sums is 1, for what is divided by nothing.
        at = {q: k for k, q in enumerate(QUANTITIES)} | {"": -1}
        self.terms = [
            _Term(
                at[g.metric.numerator],
                at[g.below],
                g.wanted,
                g.scale,
                *g.band,
                g.metric.weight,
                stretches(g, 1.0),
                stretches(g, 1.0, is_felt=True),
            )
            for g in problem.gauges
            if g.metric.key != "sweetness"
        ]
        self.sweet = next((g for g in problem.gauges if g.metric.key == "sweetness"), None)

    def __call__(self, grams: list[float]) -> float:
        """Return the cost of *grams* [g], in the order of the problem's lines and additions."""
        return self.of(self.sums(grams))

    def sums(self, grams: list[float]) -> list[float]:
        """Return what adds up over the lines at these amounts [g]."""
        found = [sum(map(mul, grams, column)) for column in zip(*self.rows, strict=True)]
        found[-1] = 1.0
        return found

    def moved(self, sums: list[float], position: int, by: float) -> list[float]:
        """Return *sums* with the amount at *position* moved *by* so much [g]."""
        return [s + by * r for s, r in zip(sums, self.rows[position], strict=True)]

    def of(self, sums: list[float], *, is_felt: bool = False) -> float:
        """Return the cost of amounts that come to these *sums*; as it *is_felt*, of texture only and no steeper far out."""
        cost = self.limits(sums) + (0.0 if is_felt else self.sweetness(sums))
        reaches = self._reaches(sums)
        for term, reach in zip(self.terms, reaches, strict=True):
            cost += term.weight * charged(reach, term.felt if is_felt else term.along)
        # A plan that is strained anyway is hardly less so for one metric of several.
        return cost + (EDGE if max(reaches, default=0.0) > HARDLY + 0.001 else 0.0)

    def told(self, sums: list[float]) -> tuple[int, float]:
        """Return how many levels texture is off, and what it costs within the bands: as it is told."""
        reaches = self._reaches(sums)
        near = sum(term.weight * INSIDE * min(r, 1.0) for term, r in zip(self.terms, reaches, strict=True))
        return sum((r > HARDLY + 0.001) + (r > 2.001) for r in reaches), near

    def farthest(self, sums: list[float]) -> float:
        """Return how far off the worst metric but sweetness is, in bands."""
        return max(self._reaches(sums), default=0.0)

    def _reaches(self, sums: list[float]) -> list[float]:
        """Return how far off each metric but sweetness is, in bands."""
        found = []
        for above, below, wanted, scale, low, high, *_ in self.terms:
            whole = sums[below]
            off = ((sums[above] / whole if whole > 0 else 0.0) - wanted) / scale
            found.append(off / high if off > 0 else -off / low)
        return found

    def limits(self, sums: list[float]) -> float:
        """Return what a missed cut, a passed limit or a broken rule costs."""
        held = len(QUANTITIES)
        cost = self.cut(sums)
        for k, most in enumerate(self.most, held + 1):
            cost += CUT_SHORT / 10 * max(sums[k] / max(most, 1e-9) - 1.005, 0.0)
        for k, rule in enumerate(self.rules, held + 1 + len(self.most)):
            if (breach := rule.breach(sums[k])) > NO_BREACH:
                cost += BREACH + BREACH_SLOPE * breach
        return cost

    def cut(self, sums: list[float]) -> float:
        """Return what missing the cut, or passing it, costs."""
        problem = self.problem
        if problem.counted_before <= 0:
            return 0.0
        gap = sums[len(QUANTITIES)] / problem.counted_before - (1 - problem.goals.wanted_cut)
        return CUT_SHORT * max(gap - NEAR, 0.0) + CUT_OVER * max(-gap, 0.0)

    def sweetness(self, sums: list[float]) -> float:
        """Return what the sweetness of these *sums* costs."""
        gauge = self.sweet
        if gauge is None:
            return 0.0
        off = self._too_little(gauge, sums)
        edge = EDGE if gauge.reach(off) < -1.001 else 0.0
        return gauge.metric.weight * penalty(gauge, off) + edge

    def is_sweet(self, sums: list[float]) -> bool:
        """Return whether these *sums* are as sweet as asked, within the band of it."""
        return self.sweet is None or self.sweet.reach(self._too_little(self.sweet, sums)) >= -1.001

    def whole_sweetness(self, sums: list[float]) -> float:
        """Return the sweetness of these *sums*, intense sweeteners' included [g of sugar]."""
        return sums[SWEETNESS] + intense_equivalent(sums[GLYCOSIDES], sums[MASS])

    def _too_little(self, gauge: Gauge, sums: list[float]) -> float:
        mass, whole = sums[MASS], self.whole_sweetness(sums)
        # A smaller batch is no way to be sweet enough: the whole batch's sweetness counts too.
        wanted = self.problem.before["sweetness"] * self.problem.goals.wanted_sweetness
        return min((whole / mass if mass > 0 else 0.0) / gauge.wanted, whole / wanted) - 1


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
    _without_dashes(problem, true_penalty, result, free, snap)
    return _without_trifles(problem, true_penalty, result)


@dataclass(frozen=True, slots=True)
class _Snap:
    """Amounts as they can be told: what the words for an amount weigh is the amount."""

    problem: Problem
    cup: CupStandard

    def __call__(self, position: int, grams: float) -> float:
        """Return the amount nearest to *grams* that there are words for [g]."""
        ingredient = self.problem.rows[position].line.ingredient
        return (
            household_amount(ingredient, grams, self.cup, is_weighed=self.problem.is_weighed)[1] if grams > 0 else grams
        )


def _steps(problem: Problem, grams: list[float], cup: CupStandard) -> dict[int, float]:
    """Return the step [g] of each amount that moved and is free to be rounded."""
    # All or nothing, and whole pieces: the model has rounded them already.
    swapped = {row.addition.replaces for row in problem.rows if row.addition is not None}
    fixed = {i for i, row in enumerate(problem.rows) if i in swapped or row.set_g is not None or row.is_whole}
    found = {}
    for i, amount in enumerate(grams):
        if i in fixed or _is_still(problem, i, amount):
            continue
        ingredient = problem.rows[i].line.ingredient
        step = grid_of(ingredient, amount, cup, is_weighed=problem.is_weighed)
        spoons = ingredient.spoons(cup)
        if _is_cut(problem, i) and problem.is_weighed and step > 1:
            # Half of 225 g is 112 or 113 g.
            step = 1.0
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
    for i, amount in enumerate(grams):
        was = problem.rows[i].untouched_g
        step = steps.get(i)
        if step is None:
            if _is_still(problem, i, amount) and problem.rows[i].lock_g is None:
                result[i] = was if amount >= LEAST_G else 0.0
        elif _is_cut(problem, i):
            # Down; the search may go up again where that gains more than the cut loses.
            result[i] = snap(i, floor(amount / step + 0.02) * step)
            if result[i] < LEFTOVER * was:
                result[i] = 0.0
        else:
            result[i] = snap(i, max(round(amount / step), 1) * step)
            if was and abs(result[i] - was) < 0.5 * step:
                result[i] = was
    return result


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
    for _ in range(ROUNDS):
        improved = False
        for group in groups:
            for amounts in product(
                *(_choices(problem, grams[i], result[i], i, free[i], limits[i], snap) for i in group)
            ):
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
) -> list[float]:
    """Return the amounts that a spoon measures near the *exact* one and near what it is *now* [g]."""
    was = problem.rows[position].untouched_g
    near = {floor(exact / step) * step, ceil(exact / step) * step}
    if not _is_cut(problem, position):
        near |= {now + step, now - step}
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


def _is_fussy(problem: Problem, position: int, by: float, mass: float) -> bool:
    """Return whether a change *by* so much [g] is so small that a baker would ask what for; leaven and salt are small by nature."""
    row = problem.rows[position]
    if problem.goals.thirst and row.line.ingredient.has_role("liquid"):
        return False  # what the household's own flour asks for
    if row.is_whole or (row.move is not None and row.move.step_g) or row.line.ingredient.has_role("leaven", "salt"):
        return False
    return abs(by) < max(FUSSY * row.untouched_g, FUSSY_PART * mass if row.untouched_g and not row.is_cut else 0.0)


def _without_fuss(problem: Problem, true_penalty: TruePenalty, grams: list[float], sums: list[float]) -> list[float]:
    """Put back every small change whose texture hardly gains by it, and a sugar's that the cut doesn't miss; return the sums.

    One at a time, then all that are left together: less flour for more milk, and more milk for less flour.
    """
    for i in _fussy(problem, grams, sums[MASS]):
        sums = _put_back(problem, true_penalty, grams, sums, [i], FUSSY_GAIN)
    left = [i for i in _fussy(problem, grams, sums[MASS]) if not problem.rows[i].is_cut]
    return _put_back(problem, true_penalty, grams, sums, left, ALL_FUSS_GAIN) if len(left) > 1 else sums


def _fussy(problem: Problem, grams: list[float], mass: float) -> list[int]:
    """Return the rows that are changed by so little that a baker would ask what for."""
    return [
        i
        for i, row in enumerate(problem.rows)
        if row.set_g is None
        and (row.addition is None or row.addition.kind == "stand_in")
        and grams[i] > 0
        and (row.move is not None or row.is_cut)
        and abs(row.untouched_g - grams[i]) >= LEAST_G
        and _is_fussy(problem, i, row.untouched_g - grams[i], mass)
    ]


def _put_back(
    problem: Problem,
    true_penalty: TruePenalty,
    grams: list[float],
    sums: list[float],
    positions: list[int],
    least_gain: float,
) -> list[float]:
    """Put some changes back together where they gain less than they should; return the sums."""
    trial = sums
    for i in positions:
        trial = true_penalty.moved(trial, i, problem.rows[i].untouched_g - grams[i])
    if true_penalty.is_sweet(sums) and not true_penalty.is_sweet(trial):
        return sums
    # So small a change is no way to be sweet enough, and so little sugar is what the whole recipe hardly misses.
    breaks = true_penalty.limits(trial) - true_penalty.limits(sums)
    by = sum((problem.rows[i].untouched_g - grams[i]) * problem.counted[i] for i in positions if problem.rows[i].is_cut)
    if by and by <= NEAR * problem.counted_before / max(problem.share, NEAR):
        breaks -= true_penalty.cut(trial) - true_penalty.cut(sums)
    (worse, far), (level, near) = true_penalty.told(trial), true_penalty.told(sums)
    # What is off by a level stays so: a little less flour mends no snap, and where something is off already no cake.
    is_no_worse = worse <= level or (level > 0 and worse == level + 1 and true_penalty.farthest(trial) <= 2.001)
    if not is_no_worse or far - near + max(breaks, 0.0) >= least_gain:
        return sums
    for i in positions:
        grams[i] = problem.rows[i].untouched_g
    return trial


def _without_dashes(
    problem: Problem, true_penalty: TruePenalty, grams: list[float], free: dict[int, float], snap: _Snap
) -> None:
    """Leave out every new sweetener that sweetens next to nothing, where the batter is no worse for it and another can make up for it."""
    new = {
        i
        for i, row in enumerate(problem.rows)
        if row.addition is not None
        and row.addition.is_sweetener
        and row.set_g is None
        and not row.addition.is_wished
        and not row.addition.is_required
        and grams[i] > 0
    }
    for i in sorted(new, key=lambda i: grams[i]):
        sums = true_penalty.sums(grams)
        trial = true_penalty.moved(sums, i, -grams[i])
        given = true_penalty.whole_sweetness(sums) - true_penalty.whole_sweetness(trial)
        is_speck = problem.rows[i].line.ingredient.is_strong and grams[i] < SPECK_G
        if given > (SPECK if is_speck else DASH) * problem.before["sweetness"]:
            continue
        without = [*grams[:i], 0.0, *grams[i + 1 :]]
        others = [n for n in new if n != i and without[n] > 0 and n in free]
        if true_penalty.is_sweet(sums) and others:
            trial = _sweeter(true_penalty, without, max(others, key=lambda n: without[n]), free, snap)
        is_missed = true_penalty.is_sweet(sums) and not true_penalty.is_sweet(trial)
        worse = true_penalty.of(trial, is_felt=True) - true_penalty.of(sums, is_felt=True)
        if not is_missed and true_penalty.told(trial)[0] <= true_penalty.told(sums)[0] and worse < FUSSY_GAIN:
            grams[:] = without


def _sweeter(
    true_penalty: TruePenalty, grams: list[float], position: int, free: dict[int, float], snap: _Snap
) -> list[float]:
    """Raise one sweetener by a few steps until the whole is sweet enough; return the sums."""
    sums = true_penalty.sums(grams)
    for _ in range(DASH_STEPS):
        if true_penalty.is_sweet(sums):
            break
        more = snap(position, grams[position] + free[position])
        sums = true_penalty.moved(sums, position, more - grams[position])
        grams[position] = more
    return sums


def _without_trifles(problem: Problem, true_penalty: TruePenalty, grams: list[float]) -> list[float]:
    """Put back every touched line, and leave out every adjuster, whose change gains less than it costs.

    What gains nothing but a sweeter taste of what is left goes back too: less butter is no way to be sweet enough.
    """
    sums = _without_fuss(problem, true_penalty, grams, true_penalty.sums(grams))
    cost = true_penalty.of(sums)
    worths: dict[int, tuple[float, float]] = {}
    brought = set[int]()
    for i, row in enumerate(problem.rows):
        addition = row.addition
        if row.set_g is None and row.move is not None and not row.is_cut:
            worths[i] = (row.untouched_g, row.move.penalty)
        elif addition is not None and not (
            addition.is_sweetener or addition.is_required or addition.set_g is not None or addition.kind == "swap"
        ):
            worths[i] = (0.0, addition.penalty)
            brought.add(i)
    for i, (was, worth) in worths.items():
        if grams[i] == was:
            continue
        trial = true_penalty.moved(sums, i, was - grams[i])
        dearer = true_penalty.of(trial)
        move = problem.rows[i].move
        least = (PIECE_GAIN if move is not None and move.step_g else LEAST_GAIN) * worth
        # What the household's own flour asks for is no fuss.
        is_asked = bool(problem.goals.thirst) and problem.rows[i].line.ingredient.has_role("liquid")
        if not is_asked and (true_penalty.is_sweet(trial) or not true_penalty.is_sweet(sums)):
            least = max(least, TOLD_GAIN)
            if i in brought and true_penalty.told(trial)[0] <= true_penalty.told(sums)[0]:
                # Something more to fetch for what nobody would notice.
                least = max(least, FETCHED_GAIN)
        texture = true_penalty.of(trial, is_felt=True) - true_penalty.of(sums, is_felt=True)
        # Sweetness aside, putting back never costs more than the change does.
        rest = dearer - cost - true_penalty.sweetness(trial) + true_penalty.sweetness(sums)
        if dearer - cost < worth or (texture < least and rest < max(worth, TOLD_GAIN)):
            grams[i], sums, cost = was, trial, dearer
    return grams
