"""What amounts cost a plan by the true metrics, the saturating sweetness and every rule included."""

from __future__ import annotations

from operator import mul
from typing import NamedTuple

from sun_crumb.core.balance import QUANTITIES, Gauge
from sun_crumb.core.balance.verdicts import HARDLY
from sun_crumb.core.solving.penalty import (
    CUT_OVER,
    CUT_SHORT,
    EDGE,
    INSIDE,
    PLAIN,
    Stretches,
    charged,
    penalty,
    stretches,
)
from sun_crumb.core.solving.problem import LIMITS, Problem
from sun_crumb.core.sugars.sweetness import intense_equivalent

MASS, SWEETNESS, GLYCOSIDES = (QUANTITIES.index(q) for q in ("mass", "sweetness", "glycosides"))
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
        self.least_sweetness = problem.least_sweetness_g
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
        reaches = self.reaches(sums)
        for term, reach in zip(self.terms, reaches, strict=True):
            cost += term.weight * charged(reach, term.felt if is_felt else term.along)
        # A plan that is strained anyway is hardly less so for one metric of several.
        return cost + (EDGE if max(reaches, default=0.0) > HARDLY + 0.001 else 0.0)

    def told(self, sums: list[float]) -> tuple[int, float]:
        """Return how many levels texture is off, and what it costs within the bands: as it is told."""
        reaches = self.reaches(sums)
        near = sum(term.weight * INSIDE * min(r, 1.0) for term, r in zip(self.terms, reaches, strict=True))
        return sum((r > HARDLY + 0.001) + (r > 2.001) for r in reaches), near

    def off(self, sums: list[float]) -> int:
        """Return how many metrics but sweetness lie outside their band as it is told."""
        return sum(r > HARDLY + 0.001 for r in self.reaches(sums))

    def farthest(self, sums: list[float]) -> float:
        """Return how far off the worst metric but sweetness is, in bands."""
        return max(self.reaches(sums), default=0.0)

    def reaches(self, sums: list[float]) -> list[float]:
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
        cost = self.cut(sums) + self._plain(sums)
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

    def _plain(self, sums: list[float]) -> float:
        """Return what it costs to be less sweet than anything is to be."""
        if self.least_sweetness <= 0:
            return 0.0
        return PLAIN * max(1 - NEAR - self.whole_sweetness(sums) / self.least_sweetness, 0.0)

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
