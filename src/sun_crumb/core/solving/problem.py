"""One component to rebalance: its lines, what may come in, and how far each may go."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, field, replace
from functools import cached_property
from math import inf
from typing import Literal

import numpy as np
import numpy.typing as npt

from sun_crumb.core.balance import QUANTITIES, Family, Gauge, contribution_row, gauges, sweetened
from sun_crumb.core.balance.makeup import makeup
from sun_crumb.core.balance.verdicts import SWEETER
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.moves import FOAM_LEAST, Move, counted_per_gram, holds_a_foam, move_of
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.recasting.recast import Reference
from sun_crumb.core.reference import table
from sun_crumb.core.solving.row import Row
from sun_crumb.core.solving.rules import Rule, rules_of
from sun_crumb.core.solving.solver import INFINITY
from sun_crumb.core.sugars.sweetness import linear_sweetness
from sun_crumb.core.wish.goals import Goals

Matrix = npt.NDArray[np.float64]

# On the blend path no one sweetener stands for more than this share of the sugar there was, up to a cut that leaves a choice: what stays is one of the several.
BLEND_SHARE, BLEND_UP_TO = 0.55, 0.6
# So little sugar that goes is not worth two sweeteners [g] (judgement: three spoons).
TOO_LITTLE_G = 60.0
# Where nothing comes in that is sweet enough, the cut gives way before a dessert is less sweet than this [share of the original's sweetness]
# (common practice: a quarter to a third of the sugar goes unmissed, half does not).
LEAST_SWEET = 0.7
# Fruit that sweetens a loaf alone may come to so many times what was there.
MOST_GROWN = 2.6
# Dried fruit of such a share soaks up what it is given [share of the mass] (judgement).
SOAKING = 0.15
# What a portion may be held below: each line's part per gram.
LIMITS: dict[str, Callable[[FormulaLine, Goals], float]] = {
    "energy": lambda line, _: line.ingredient.per_100g.energy_kcal / 100,
    "free_sugar": lambda line, _: counted_per_gram(line, "free_sugars_who_g"),
    "cost": lambda line, goals: goals.prices.get(line.ingredient.key, 0.0) / 1000,
}


@dataclass(frozen=True)
class Problem:
    """One component to rebalance: its lines, what may come in, and how far each may go.

    ``allowed`` is what the component may hold at most, by LIMITS' names: energy [kcal], free sugar [g], cost;
    ``locks`` the amounts that are set, by line [g]; ``seasoned`` why one is set for its flavour, by row, the additions after the lines;
    ``share`` the part of the recipe's sugar that is this component's, ``sitting`` that of a portion's limits of sittings.csv. Where nothing takes the sugar's place and nobody said how
    sweet it is to be, it ``is_sweet_as_it_falls``. ``expected_cut`` is the part of its sweeteners that will have to go, since other sugar of the recipe stays.
    ``reference`` is what it is to come to where that is not what its lines are: on another base.

    What follows from these is worked out once, when it is first asked for.
    """

    formula: Formula
    family: Family
    goals: Goals
    additions: list[Addition]
    locks: dict[int, float]
    allowed: dict[str, float]
    share: float = 1.0
    sitting: float = 1.0
    seasoned: dict[int, str] = field(default_factory=dict)
    is_sweet_as_it_falls: bool = False
    expected_cut: float = 1.0
    reference: Reference | None = None

    @cached_property
    def rows(self) -> tuple[Row, ...]:
        """The recipe's lines in their order, then what may come in."""
        there = [
            Row(
                line,
                self._soaked(
                    line, self._held_up(line, self._grown(line, move_of(line, self.goals.counted, self.family)))
                ),
                lock_g=self.locks.get(n),
                seasoning=self.seasoned.get(n, ""),
            )
            for n, line in enumerate(self.formula.lines)
        ]
        new = [
            Row(self._added(a), a.move, a, seasoning=self.seasoned.get(n, ""))
            for n, a in enumerate(self.additions, len(there))
        ]
        return (*there, *new)

    def _held_up(self, line: FormulaLine, move: Move | None) -> Move | None:
        """Return how far a sugar may go that whites stand on."""
        is_held = move is not None and holds_a_foam(line, self.family)
        return replace(move, low=max(move.low, FOAM_LEAST)) if is_held and move is not None else move

    def _soaked(self, line: FormulaLine, move: Move | None) -> Move | None:
        """Return how far a liquid may go that dates or prunes soak up: no further up, for they keep a batter moist by themselves."""
        is_soaked = (
            move is not None
            and not move.is_cut
            and line.ingredient.has_role("liquid")
            and self.family.is_among(("butter_cake", "oil_cake", "quick_bread", "bar"))
            and makeup(self.formula.lines)["dried"] > SOAKING
        )
        return replace(move, high=min(move.high, 1.0)) if is_soaked and move is not None else move

    def _grown(self, line: FormulaLine, move: Move | None) -> Move | None:
        """Return how far fruit that is there may grow: where fruit alone sweetens a loaf, up to the room that it has for fruit."""
        if move is None or not line.ingredient.has_role("puree") or "fruit_only" not in self.goals.preset.traits:
            return move
        if not self.family.is_among(("quick_bread", "!pancake")) or line.grams <= 0:
            return move
        room = self.caps["puree"] * self.formula.mass_g / line.grams
        return replace(move, high=max(move.high, min(room, MOST_GROWN)))

    @cached_property
    def per_gram(self) -> Matrix:
        """What 1 g adds to each of the QUANTITIES (rows x quantities)."""
        return np.array([contribution_row(r.line.ingredient, r.line.is_inclusion) for r in self.rows])

    @cached_property
    def counted(self) -> Matrix:
        """The sugar to cut in 1 g of each row [g]."""
        return np.array([counted_per_gram(r.line, self.goals.counted) for r in self.rows])

    @cached_property
    def before(self) -> dict[str, float]:
        """The original's QUANTITIES, or what the component is to come to on another base."""
        if self.reference is not None:
            return dict(self.reference.quantities)
        return self.quantities_at([r.original_g for r in self.rows])

    @cached_property
    def counted_before(self) -> float:
        """The original's sugar to cut [g]."""
        if self.reference is not None:
            return self.reference.counted_g
        return float(self.counted @ np.array([r.original_g for r in self.rows]))

    @cached_property
    def cuttable_g(self) -> float:
        """The sweeteners of the original that hold sugar to cut [g]."""
        return sum(r.line.grams for r in self.rows if r.is_cut)

    @property
    def is_little(self) -> bool:
        """Whether so little sugar goes that one sweetener is enough for it."""
        return self.expected_cut * self.cuttable_g < TOO_LITTLE_G

    @property
    def shares_out(self) -> bool:
        """Whether the path would take a little of several sweeteners, of which the baker has named none."""
        is_named = any(a.is_wished or a.is_required for a in self.additions if a.is_sweetener)
        return "shares" in self.goals.preset.traits and not is_named

    @property
    def least_sweetness_g(self) -> float:
        """The sweetness before which the cut gives way [g of sugar]; 0 on a path that simply takes less."""
        if not self.goals.preset.most_new or self.is_sweet_as_it_falls:
            return 0.0
        return min(LEAST_SWEET, self.goals.wanted_sweetness) * self.before["sweetness"]

    @cached_property
    def gauges(self) -> list[Gauge]:
        """What is judged."""
        sweeter = inf if self.is_sweet_as_it_falls else SWEETER
        return gauges(self.family, self.before, self.goals.wanted_sweetness, sweeter, self.goals.thirst)

    @cached_property
    def rules(self) -> tuple[Rule, ...]:
        """What no plan may break, as sums over the rows."""
        return rules_of(self)

    @cached_property
    def fights(self) -> tuple[Fight, ...]:
        """Which changes undo each other, from fights.csv: what comes in against what comes in, grows or shrinks."""
        return tuple(_fights(self.rows))

    @cached_property
    def is_weighed(self) -> bool:
        """Whether the recipe is written by weight: its amounts then go by grams."""
        return self.formula.is_weighed

    def crystal_per_gram(self, ingredient: Ingredient) -> float:
        """Return the sugar in 1 g of an ingredient that can be the structure of this family [g]."""
        return crystal_per_gram(ingredient, self.family)

    @property
    def caps(self) -> dict[str, float]:
        """The most of each kind of sweetener, as a share of the batter: the family's, or what the baker has set."""
        return self.family.caps | self.goals.caps

    def lines_at(self, grams: list[float]) -> list[FormulaLine]:
        """Return the component's lines at these amounts: the original's first, then the additions [g]."""
        return [r.line.at(g) if g != r.line.grams else r.line for r, g in zip(self.rows, grams, strict=True)]

    def quantities_at(self, grams: list[float]) -> dict[str, float]:
        """Return the QUANTITIES of the component at these amounts [g], intense sweetness included."""
        return sweetened(dict(zip(QUANTITIES, (np.array(grams) @ self.per_gram).tolist(), strict=True)))

    def _added(self, addition: Addition) -> FormulaLine:
        """Return an addition as a line of 0 g: mixed in, unless it takes the place of something that lies in the crumb whole."""
        if addition.replaces is not None:
            was = self.formula.lines[addition.replaces]
            # Ground almonds are part of the crumb, and so are the seeds that stand in for them.
            return replace(was, ingredient=addition.ingredient, grams=0.0, text="", is_crushed=not was.is_inclusion)
        # Nuts or chips that the baker wants in lie in the crumb whole.
        is_whole = (
            addition.set_g is not None
            and not addition.is_sweetener
            and addition.ingredient.has_role("nut", "chocolate")
        )
        return FormulaLine(addition.ingredient, 0.0, self.formula.lines[0].component, not is_whole)


@dataclass(frozen=True, slots=True)
class Fight:
    """Two changes that undo each other: the row that comes in, and the row that must not come in, grow or shrink with it."""

    comes_in: int
    against: int
    how: Literal["in", "up", "down"]


def _fights(rows: tuple[Row, ...]) -> Iterator[Fight]:
    """Give the fights among *rows*; what the baker asked for fights nobody."""
    new = {
        row.addition.ingredient.key: n
        for n, row in enumerate(rows)
        if row.addition and not row.addition.is_required and row.addition.kind != "stand_in"
    }
    for told in table("fights"):
        if told["where"] and told["where"] not in new:
            continue  # only where that is on offer too
        for key in told["comes_in"].split():
            if key not in new:
                continue
            for against in told["against"].split():
                role, _, how = against.partition(":")
                if not how:
                    if role in new and role != key:
                        yield Fight(new[key], new[role], "in")
                    continue
                for n, row in enumerate(rows):
                    if (
                        row.set_g is None
                        and row.move is not None
                        and not row.is_cut
                        and row.line.ingredient.has_role(role)
                    ):
                        yield Fight(new[key], n, "up" if how == "up" else "down")


def bounds(problem: Problem) -> list[tuple[float, float]]:
    """Return the least and most of each amount [g]: how far its line may move, what the additions may come to."""
    found: list[tuple[float, float]] = []
    for row in problem.rows:
        addition = row.addition
        if row.set_g is not None:
            found.append((row.set_g,) * 2)
        elif addition is None or addition.kind == "stand_in":
            low, high = (row.move.low, row.move.high) if row.move else (1.0, 1.0)
            found.append((low * row.untouched_g, high * row.untouched_g))
        elif addition.replaces is not None:
            grams = problem.formula.lines[addition.replaces].grams
            found[addition.replaces] = (0.0, grams)
            found.append((0.0, grams))
        else:
            cap = problem.caps.get(addition.cap, 0.5)
            most = min(cap, addition.most_share or cap) * problem.before["mass"]
            found.append((0.0, max(most, addition.least_g)))
    return found


def fair_share(problem: Problem, addition: Addition) -> float:
    """Return the most of a sweetener [g] on the blend path, where others are at hand: its share of the sugar there was."""
    goals = problem.goals
    if "shares" not in goals.preset.traits or not addition.is_sweetener or goals.wanted_cut > BLEND_UP_TO:
        return INFINITY
    wished = addition.is_wished or addition.is_required or addition.ingredient.key in problem.family.stand_ins
    if wished or sum(a.is_sweetener for a in problem.additions) < 2:
        return INFINITY
    if problem.is_little:
        return INFINITY
    return BLEND_SHARE * problem.cuttable_g * least_per_sugar(addition)


def crystal_per_gram(ingredient: Ingredient, family: Family) -> float:
    """Return the sugar in 1 g of an ingredient that can be the structure of this family [g]."""
    c = ingredient.per_100g
    stands_in = (c.maltitol_g + c.allulose_g) / 100 if ingredient.key in family.stand_ins else 0.0
    if not ingredient.has_role("sugar") or ingredient.has_role("syrup"):
        return stands_in
    if family.crystal_kind == "white" and ingredient.group != "refined":
        return stands_in
    return c.sucrose_g / 100 + stands_in


def least_per_sugar(addition: Addition) -> float:
    """Return how many grams of an addition stand for 1 g of sugar by sweetness, for a first dose."""
    c = addition.ingredient.per_100g
    if addition.ingredient.is_strong:
        return 0.004
    if c.glycosides_g and addition.kind == "bulk":
        return 1.0
    sweet = linear_sweetness(c) / 100
    return min(1 / sweet, 3.0) if sweet > 0.05 else 3.0
