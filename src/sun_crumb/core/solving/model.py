"""The linear model of one component: goals and balance as costs, kitchen sense as bounds."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from math import inf

import numpy as np

from sun_crumb.core.balance import QUANTITIES
from sun_crumb.core.balance.verdicts import Gauge
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.moves import Move
from sun_crumb.core.reference import constant
from sun_crumb.core.solving.penalty import CUT_SHORT, PLAIN, stretches
from sun_crumb.core.solving.problem import LIMITS, Matrix, Problem, fair_share, least_per_sugar
from sun_crumb.core.solving.solver import INFINITY, LinearModel
from sun_crumb.core.sugars.sweetness import intense_dose

# A sweetener asked for by name: what using it is worth, and the least share of the sugar it then stands for.
WISHED_WORTH, WISHED_SHARE = 1.5, 0.12
SEGMENTS = (2.0, 4.0, 6.0)
MOST_PIECES = 2
# Of what comes in for the texture and not to sweeten, so many kinds at most: a third is fussy (common practice).
MOST_ADJUSTERS = 2
# So many new foods are welcome; what each one more costs a plan (judgement).
WELCOME, FUSSY = 2, 0.5
# The part of a band that the model holds for the whole of it (judgement: what a spoon moves).
SAFE = 0.92
SAFE_RATIO = 0.97
# An acid comes in against soda alone: with it the batter may be sourer than the original by this share of a band. Without
# it, by so much that it never binds [meq/g]. Judgement.
SOUR_ENOUGH, FAR_SOUR = 0.5, 1.0


class Build:
    """The model of one problem, put together row by row."""

    def __init__(self, problem: Problem, hard: bool, model: LinearModel) -> None:
        self.p, self.hard = problem, hard
        self.m = model
        # Each amount is a constant plus a combination of variables.
        self.base: list[float] = []
        # Which sweeteners are used, as yes-or-no variables; and what comes whole, by row: its variable and size [g].
        self.choices: list[int] = []
        self.whole: dict[int, tuple[int, float]] = {}
        # What is there and moves by pieces, by row: its variables up and down, and the piece [g].
        self.stepped: dict[int, tuple[int, int, float]] = {}
        # Which acids are used: one at most, and only against soda that has none.
        self.acids: list[int] = []
        # What comes in for the texture: a few at most; of every row that may come in whether it does; and of each that moves
        # the variables up and down, and the most of them.
        self.adjusters: list[int] = []
        self.used: dict[int, int] = {}
        self.ways: dict[int, dict[str, tuple[int, float]]] = {}
        self.terms: list[dict[int, float]] = []
        self._existing()
        self._new()
        # The same as arrays (lines x variables so far), and what 1 g adds to each of the QUANTITIES, by its name.
        self.constants = np.array(self.base)
        self.factors = np.zeros((len(self.terms), len(self.m.lower)))
        for n, terms in enumerate(self.terms):
            for k, factor in terms.items():
                self.factors[n, k] = factor
        self.adds = dict(zip(QUANTITIES, problem.per_gram.T, strict=True))
        self.sweet_terms: dict[int, float] = {}
        self._intense()
        self._balance()
        self._limits()
        self._rules()
        self._no_fights()
        self._few()

    def grams(self, values: list[float]) -> list[float]:
        """Return the amounts that the variables' *values* stand for [g]."""
        return [
            max(0.0, base + sum(values[k] * f for k, f in terms.items()))
            for base, terms in zip(self.base, self.terms, strict=True)
        ]

    def _existing(self) -> None:
        p, m = self.p, self.m
        factor = m.add(0.0, 1.0)
        for n, row in enumerate(p.rows):
            if row.addition is not None:
                continue
            if row.lock_g is not None:
                self._stays(row.lock_g)
            elif row.move is None or row.original_g <= 0:
                self._stays(row.original_g)
            elif row.is_cut:
                # One common factor for all sugars that are cut: losing one of two wholly would lose its flavour.
                # What whites stand on goes with the others, but not as far.
                self.base.append(row.move.low * row.original_g)
                self.terms.append({factor: (1 - row.move.low) * row.original_g})
            else:
                self._movable(n, row.original_g, row.move)

    def _stays(self, grams: float) -> None:
        """An amount that nothing moves."""
        self.base.append(grams)
        self.terms.append({})

    def _movable(self, row: int, grams: float, move: Move) -> None:
        """A line that is there, or stands in for one, and may go up or down."""
        ups, downs = (move.high - 1) * grams, (1 - move.low) * grams
        self.base.append(grams)
        if move.step_g:
            each = move.penalty * move.step_g / max(ups, downs)
            up = self.m.add(0.0, float(int(ups / move.step_g + 1e-6)), each, is_integer=True)
            down = self.m.add(0.0, float(int(downs / move.step_g + 1e-6)), each, is_integer=True)
            self.stepped[row] = (up, down, move.step_g)
            self.ways[row] = {"up": (up, self.m.upper[up]), "down": (down, self.m.upper[down])}
            self.terms.append({up: move.step_g, down: -move.step_g})
            return
        # Touching a line costs by how far it goes, without a yes-or-no variable: three times as fast, and
        # what touching gains too little for is put back after rounding.
        up = self.m.add(0.0, ups, move.penalty / ups if ups else 0.0)
        down = self.m.add(0.0, downs, move.penalty / downs if downs else 0.0)
        self.ways[row] = {"up": (up, ups), "down": (down, downs)}
        self.terms.append({up: 1.0, down: -1.0})

    def _new(self) -> None:
        p, m = self.p, self.m
        for n, row in enumerate(p.rows):
            addition = row.addition
            if addition is None:
                continue
            if addition.set_g is not None or (addition.kind == "stand_in" and row.move is None):
                self._stays(addition.base_g if addition.set_g is None else addition.set_g)
            elif row.move is not None:
                self._movable(n, row.untouched_g, row.move)
            elif addition.kind == "swap":
                self._swap(n, addition)
            elif addition.kind == "piece":
                self._pieces(n, addition)
            else:
                self._by_weight(n, addition)
        if self.choices:
            sweeteners = dict.fromkeys(self.choices, 1.0)
            is_set = [a.set_g is not None for a in p.additions if a.is_sweetener and a.is_required]
            left = (1 if p.is_little and p.shares_out else p.goals.new_at_most) - sum(is_set)
            m.require(sweeteners, upper=float(max(left, len(is_set) - sum(is_set), 0)))

    def _by_weight(self, row: int, addition: Addition) -> None:
        """Between a least and a most, or none at all."""
        p, m = self.p, self.m
        most = max((addition.most_share or 0.5) * p.before["mass"], addition.least_g)
        for rule in p.rules:
            if rule.key == "sitting" and rule.per_gram[row] > 0:
                most = max(min(most, rule.most / float(rule.per_gram[row])), addition.least_g)
        amount = m.add(0.0, most)
        least = addition.least_g
        if addition.is_wished:
            # Asked for by name: worth using, and then enough of it to be tasted.
            least = min(max(least, WISHED_SHARE * p.cuttable_g * least_per_sugar(addition)), most)
        used = m.binary(addition.penalty - (WISHED_WORTH if addition.is_wished else 0.0))
        if addition.is_required:
            m.lower[used] = 1.0
        most = max(min(most, fair_share(p, addition)), addition.least_g)
        m.require({amount: 1.0, used: -most}, upper=0.0)
        m.require({amount: 1.0, used: -least}, lower=0.0)
        if addition.is_sweetener:
            self.choices.append(used)
        elif not addition.is_required:
            self.adjusters.append(used)
            if addition.kind == "acid":
                self.acids.append(used)
        self.used[row] = used
        self.base.append(0.0)
        self.terms.append({amount: 1.0})

    def _swap(self, row: int, addition: Addition) -> None:
        """All of a chocolate for a darker one, or none; half of a tin of condensed milk."""
        assert addition.replaces is not None
        grams = self.p.formula.lines[addition.replaces].grams / addition.pieces
        swapped = self.m.add(0.0, addition.pieces, addition.penalty / addition.pieces, is_integer=True)
        self.whole[row] = (swapped, grams)
        self.terms[addition.replaces] = {swapped: -grams}
        self.base.append(0.0)
        self.terms.append({swapped: grams})

    def _pieces(self, row: int, addition: Addition) -> None:
        """Whole pieces only: one or two eggs or yolks."""
        most = int(min(MOST_PIECES, (addition.most_share or 0.5) * self.p.before["mass"] // addition.least_g))
        count = self.m.add(1.0 if addition.is_required else 0.0, max(most, 0), addition.penalty, is_integer=True)
        if not addition.is_required and most > 0:
            self.used[row] = self.m.binary()
            self.m.require({count: 1.0, self.used[row]: -float(most)}, upper=0.0)
            self.adjusters.append(self.used[row])
        self.whole[row] = (count, addition.least_g)
        self.base.append(0.0)
        self.terms.append({count: addition.least_g})

    def _limits(self) -> None:
        """Hold energy and free sugar below what the baker allows, softly: an excess costs like the cut."""
        for name, most in self.p.allowed.items():
            per_gram = np.array([LIMITS[name](row.line, self.p.goals) for row in self.p.rows])
            scale = max(self._there(per_gram), most, 1e-6)
            base, terms = self.combine(per_gram / scale)
            terms[self.m.add(0.0, INFINITY, CUT_SHORT)] = -1.0
            self.m.require(terms, upper=most / scale - base)

    def _there(self, weights: Iterable[float]) -> float:
        """Return sum(weight x amount) over the original."""
        return sum(w * row.original_g for w, row in zip(weights, self.p.rows, strict=True) if row.addition is None)

    def combine(self, weights: Matrix | Sequence[float]) -> tuple[float, dict[int, float]]:
        """Return constant and terms of sum(weight x amount) over all lines."""
        weights = np.asarray(weights)
        row = weights @ self.factors
        used = np.flatnonzero(row)
        return float(weights @ self.constants), dict(zip(used.tolist(), row[used].tolist(), strict=True))

    def _intense(self) -> None:
        """Tie intense sweetener to the sweetness it gives, in segments that fill up in order."""
        glycosides = self.adds["glycosides"]
        if not glycosides.any():
            return
        mass = self.p.before["mass"]
        litre_grams = mass * constant("mouth_dilution") / 100
        edges = [0.0, *(s * litre_grams for s in SEGMENTS)]
        doses = [intense_dose(e, mass) for e in edges]
        rows: dict[int, float] = {}
        previous: int | None = None
        for k in range(1, len(edges)):
            width = edges[k] - edges[k - 1]
            part = self.m.add(0.0, width)
            rows[part] = (doses[k] - doses[k - 1]) / width
            self.sweet_terms[part] = 1.0
            if previous is not None:
                full = self.m.binary()
                before_width = edges[k - 1] - edges[k - 2]
                self.m.require({previous: 1.0, full: -before_width}, lower=0.0)
                self.m.require({part: 1.0, full: -width}, upper=0.0)
            previous = part
        base, terms = self.combine(glycosides)
        for k, f in terms.items():
            rows[k] = rows.get(k, 0.0) - f
        if base > doses[-1]:
            # More than the curve goes up to, set by the baker: what lies beyond sweetens no further.
            rows[self.m.add(0.0, base - doses[-1])] = 1.0
        self.m.require(rows, base, base)

    def _balance(self) -> None:
        p, m = self.p, self.m
        short: list[int] = []
        for gauge in p.gauges:
            metric, key = gauge.metric, gauge.metric.key
            if gauge.below:
                # A ratio is linear once both sides are times what it is divided by, at the original's amount of that.
                scale = p.before["mass"] if key == "alkali" else gauge.scale * p.before[gauge.below]
                weights, target = self.adds[metric.numerator] - gauge.wanted * self.adds[gauge.below], 0.0
            else:
                weights, target, scale = self.adds[metric.numerator], gauge.old, gauge.old
            base, terms = self.combine(weights / scale)
            free = dict(terms)
            if key == "sweetness":
                for k, f in self.sweet_terms.items():
                    terms[k] = terms.get(k, 0.0) + f / scale
            over, under = self._deviations(gauge, 1.0), self._deviations(gauge, -1.0)
            wanted = target / scale
            if key == "sweetness":
                # What is short may be more than this ratio tells, where the batch shrinks; that is no way to be sweeter than asked.
                short = under
                m.require({**terms, **dict.fromkeys(over, -1.0)}, upper=wanted - base)
                m.require({**terms, **dict.fromkeys(under, 1.0)}, lower=wanted - base)
                continue
            terms |= {**dict.fromkeys(over, -1.0), **dict.fromkeys(under, 1.0)}
            if key == "alkali" and self.acids:
                self._sour_enough(free, wanted - base, gauge)
            m.require(terms, wanted - base, wanted - base)
            if self.hard and gauge.below:
                self._within_two_bands(gauge)
        self._not_by_shrinking(short)

    def _within_two_bands(self, gauge: Gauge) -> None:
        """Hold a ratio itself within two bands: what it is divided by may shrink, and then a deviation is larger than it looks."""
        above, below = self.adds[gauge.metric.numerator], self.adds[gauge.below]
        reach = 2 * SAFE_RATIO * gauge.scale
        for limit, sign in ((gauge.wanted + reach * gauge.band[1], 1.0), (gauge.wanted - reach * gauge.band[0], -1.0)):
            base, terms = self.combine(sign * (above - limit * below))
            if terms:
                # What is there already may lie outside by itself.
                self.m.require(terms, upper=max(-base, 0.0))

    def _deviations(self, gauge: Gauge, sign: float) -> list[int]:
        """Return the variables of a metric's deviation to one side, each stretch dearer than the one before."""
        band = gauge.band[1] if sign > 0 else gauge.band[0]
        parts, start, reach = [], 0.0, 0.0
        along = stretches(gauge, sign)
        for width, slope in along:
            if width == inf and self.hard and gauge.metric.key != "sweetness":
                break
            # A little inside a band's edge, so that rounding finds room there too.
            end = (SAFE if not reach and len(along) > 2 else reach + width) * band
            most = INFINITY if width == inf else end - start
            parts.append(self.m.add(0.0, most, slope * gauge.metric.weight / band))
            start, reach = end, reach + width
        return parts

    def _sour_enough(self, terms: dict[int, float], left: float, gauge: Gauge) -> None:
        """Take at most one acid, and only where the batter would be alkaline without it; *left* is what is wanted still."""
        self.m.require(dict.fromkeys(self.acids, 1.0), upper=1.0)
        # What the baker has set may be sourer than that by itself.
        far = FAR_SOUR + max(left, 0.0)
        for used in self.acids:
            self.m.require({**terms, used: -far}, lower=left - far - SOUR_ENOUGH * gauge.band[0])

    def _not_by_shrinking(self, short: list[int]) -> None:
        """Ask for the whole batch's sweetness too: a smaller batch is no way to be sweet enough."""
        p, m = self.p, self.m
        old = p.before["sweetness"] * p.goals.wanted_sweetness
        if old <= 0:
            return
        base, terms = self.combine(self.adds["sweetness"] / old)
        for k, f in self.sweet_terms.items():
            terms[k] = terms.get(k, 0.0) + f / old
        if least := p.least_sweetness_g / old:
            m.require({**terms, m.add(0.0, INFINITY, PLAIN): 1.0}, lower=least - base)
        for part in short:
            terms[part] = 1.0
        m.require(terms, lower=1.0 - base)

    def _rules(self) -> None:
        """Hold what no plan may break."""
        for rule in self.p.rules:
            base, terms = self.combine(rule.per_gram)
            if terms:
                self.m.require(terms, rule.least - base, max(rule.most - base, 0.0) if rule.least < 0 else INFINITY)

    def _few(self) -> None:
        """Let few foods come in: for the texture a strict limit, beyond a welcome number each at a cost."""
        m = self.m
        if len(self.adjusters) > MOST_ADJUSTERS:
            m.require(dict.fromkeys(self.adjusters, 1.0), upper=float(MOST_ADJUSTERS))
        if len(new := [*self.choices, *self.adjusters]) > WELCOME:
            # Two new foods are welcome, three are a lot.
            m.require({**dict.fromkeys(new, 1.0), m.add(0.0, INFINITY, FUSSY): -1.0}, upper=float(WELCOME))

    def _no_fights(self) -> None:
        """Let no two changes undo each other, and all liquids go one way."""
        m = self.m
        for fight in self.p.fights:
            used = self.used.get(fight.comes_in)
            if used is None:
                continue
            if fight.how == "in":
                if (other := self.used.get(fight.against)) is not None:
                    m.require({used: 1.0, other: 1.0}, upper=1.0)
            elif fight.against in self.ways:
                way, most = self.ways[fight.against][fight.how]
                if most > 0:
                    m.require({way: 1.0, used: most}, upper=most)
        liquids = [n for n in self.ways if self.p.rows[n].line.ingredient.has_role("liquid") and n not in self.stepped]
        if len(liquids) > 1:
            is_up = m.binary()
            for n in liquids:
                (up, ups), (down, downs) = self.ways[n]["up"], self.ways[n]["down"]
                m.require({up: 1.0, is_up: -ups}, upper=0.0)
                m.require({down: 1.0, is_up: downs}, upper=downs)
