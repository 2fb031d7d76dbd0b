"""All paths for one recipe side by side, and a frontier over the sugar cut."""

from __future__ import annotations

from collections.abc import Iterable
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace

from sun_crumb.core.errors import NothingToReworkError
from sun_crumb.core.formula import Formula, portion, served, total
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.rework.plan import Plan, rework
from sun_crumb.core.telling.unmet import Status
from sun_crumb.core.wish.goals import Goals, Path, paths

RANK = {"balanced": 0, "strained": 1, "unmet": 2}


@dataclass(frozen=True, slots=True)
class PathSide:
    """One path's plan in figures per portion; ``plan`` is None where the path finds nothing to cut.

    ``effort`` counts changed lines and what must be prepared; ``from_sweeteners`` is the share of the sweetness that comes
    from sugar alcohols, allulose and intense sweeteners, which some people taste; ``beaten_by`` names a path that is at
    least as good in free sugar, energy, sweetness, balance, effort and that taste, and better in one, or is empty.
    """

    path: str
    name: str
    problem: str
    plan: Plan | None
    changed: int = 0
    effort: int = 0
    sweetness: float = 0.0
    from_sweeteners: float = 0.0
    beaten_by: str = ""


def effort_of(plan: Plan) -> tuple[int, int]:
    """Return how many lines change, and the effort that is: lines, and what must be prepared of what comes in.

    Parameters
    ----------
    plan
        A plan; the pantry says what a food costs of effort (0 to 3).
    """
    changed = [line for line in plan.lines if abs(line.after_g - line.before_g) > 1e-9]
    efforts = {line.ingredient.key: line.ingredient.effort for line in plan.after.lines}
    made = sum(efforts.get(line.ingredient, 0) for line in changed if line.before_g == 0)
    return len(changed), len(changed) + made


def side_by_side(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None = None) -> list[PathSide]:
    """Return every path's plan for the same wishes; what *goals* leaves open each path fills with its own preset.

    Parameters
    ----------
    formula, goals, pantry, cup
        As for rework; the goals' own path is left aside.

    Raises
    ------
    OutOfDomainError
        A lock names a line that does not exist.
    """
    # The solver lets other threads run while it searches: two paths at a time take about two thirds of the time.
    with ThreadPoolExecutor(2) as pool:
        sides = list(pool.map(lambda path: _side(path, formula, goals, pantry, cup), paths().values()))
    return [replace(side, beaten_by=_beaten_by(side, sides)) for side in sides]


def _side(path: Path, formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None) -> PathSide:
    try:
        plan = rework(formula, replace(goals, path=path.key), pantry, cup)
    except NothingToReworkError as error:
        return PathSide(path.key, path.name, error.message, None)
    changed, effort = effort_of(plan)
    before, after = plan.totals_before, plan.totals_after
    old = before.sucrose_equivalent_g / before.mass_g
    sweet = after.sucrose_equivalent_g / after.mass_g / old if old else 0.0
    return PathSide(path.key, path.name, "", plan, changed, effort, sweet, _from_sweeteners(plan))


def _is_sweetener(ingredient: Ingredient) -> bool:
    c = ingredient.per_100g
    return c.glycosides_g > 0 or c.polyols_g + c.allulose_g > 30


def _from_sweeteners(plan: Plan) -> float:
    natural = [line for line in plan.after.lines if not _is_sweetener(line.ingredient)]
    whole = plan.totals_after.sucrose_equivalent_g
    return 1 - total(natural).sucrose_equivalent_g / whole if whole > 0 else 0.0


def marks_of(side: PathSide) -> tuple[float, ...]:
    """Return what a path is judged by, smaller is better, in steps that a household would notice."""
    assert side.plan is not None
    one = portion(served(side.plan.after), side.plan.after.servings)
    return (
        RANK[side.plan.status],
        round(one.free_sugars_who_g * 2),
        round(one.energy_kcal / 5),
        round(-20 * min(side.sweetness, 1.0)),
        round(10 * side.from_sweeteners),
        side.effort,
    )


def _beaten_by(side: PathSide, sides: Iterable[PathSide]) -> str:
    if side.plan is None:
        return ""
    mine = marks_of(side)
    for other in sides:
        if other.path != side.path and other.plan is not None:
            theirs = marks_of(other)
            if theirs != mine and all(t <= m for t, m in zip(theirs, mine, strict=True)):
                return other.path
    return ""


@dataclass(frozen=True, slots=True)
class FrontierPoint:
    """What one cut costs: the cut asked for and reached, sweetness kept, free sugar and energy of a portion, balance.

    ``off_by`` is the largest deviation in bands (1 is the edge of balanced), ``off_in`` its metric's name. One that another is as good as in
    all three of cut, sweetness and balance, and better in one, is not on the front. ``keep_sweet`` is the sweetness that
    a wish for it asks to be kept, and ``status`` what that wish comes to.
    """

    cut: float
    reached: float
    sweetness: float
    free_sugars_who_g: float
    energy_kcal: float
    status: Status
    off_by: float
    off_in: str
    is_front: bool = True
    keep_sweet: float = 1.0


def point_of(plan: Plan, goals: Goals) -> FrontierPoint:
    """Return a plan as a point of the frontier."""
    before, after = plan.totals_before, plan.totals_after
    one = portion(served(plan.after), plan.after.servings)
    old = getattr(before, goals.counted)
    reached = 1 - getattr(after, goals.counted) / old if old else 0.0
    worst = max(
        (
            (abs(v.deviation) / (v.band[1] if v.deviation > 0 else v.band[0]), v.name)
            for b in plan.balance
            for v in b.verdicts
            if v.key != "browning" and not (v.key == "sweetness" and v.level == "balanced")
        ),
        default=(0.0, ""),
    )
    sweet = before.sucrose_equivalent_g / before.mass_g
    kept = after.sucrose_equivalent_g / after.mass_g / sweet if sweet else 0.0
    return FrontierPoint(
        goals.wanted_cut,
        reached,
        kept,
        one.free_sugars_who_g,
        one.energy_kcal,
        plan.status,
        worst[0],
        worst[1],
        keep_sweet=goals.wanted_sweetness,
    )


def frontier(
    formula: Formula,
    goals: Goals,
    pantry: Pantry,
    cup: CupStandard | None = None,
    cuts: Iterable[float] = (0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0),
) -> list[FrontierPoint]:
    """Return what each of *cuts* costs, all other wishes as they are.

    Parameters
    ----------
    formula, goals, pantry, cup
        As for rework.
    cuts
        Shares of the sugar to take out, 0 to 1.

    Raises
    ------
    NothingToReworkError, OutOfDomainError
        As rework does.
    """

    def point(cut: float) -> FrontierPoint:
        wish = replace(goals, cut=cut)
        return point_of(rework(formula, wish, pantry, cup), wish)

    with ThreadPoolExecutor(2) as pool:
        return list(pool.map(point, cuts))


# The cuts of a front, and how sweet each is asked to stay: all that can be had.
FRONT_CUTS = (0.1, 0.2, 0.3, 0.4, 0.5, 0.55, 0.6, 0.7, 0.75, 0.8, 0.9, 1.0)
AS_SWEET, LEAST_SWEET = 1.0, 0.4


def front(formula: Formula, goals: Goals, pantry: Pantry, cup: CupStandard | None = None) -> list[FrontierPoint]:
    """Return how sweet a dessert can stay at each of twelve cuts, all other wishes as they are: cut against sweetness.

    Parameters
    ----------
    formula, goals, pantry, cup
        As for rework; the goals' own cut and sweetness are left aside.

    Raises
    ------
    NothingToReworkError, OutOfDomainError
        As rework does.
    """

    def taken(point: FrontierPoint) -> FrontierPoint:
        """Return a point as the wish that it stands for comes out: as sweet as it can stay, not as sweet as before."""
        keep = round(min(max(point.sweetness, LEAST_SWEET), AS_SWEET), 2)
        if point.status == "balanced":
            return replace(point, keep_sweet=keep)
        wish = replace(goals, cut=point.cut, keep_sweet=keep)
        again = point_of(rework(formula, wish, pantry, cup), wish)
        return replace(again if RANK[again.status] < RANK[point.status] else point, keep_sweet=keep)

    points = frontier(formula, replace(goals, keep_sweet=AS_SWEET), pantry, cup, FRONT_CUTS)
    with ThreadPoolExecutor(2) as pool:
        points = list(pool.map(taken, points))
    return [replace(point, is_front=not any(_is_better(other, point) for other in points)) for point in points]


def _is_better(one: FrontierPoint, other: FrontierPoint) -> bool:
    """Return whether *one* is as good as *other* in cut, sweetness and balance, and better in one of them."""
    mine, theirs = ((round(p.reached, 2), round(min(p.sweetness, AS_SWEET), 2), -RANK[p.status]) for p in (one, other))
    return mine != theirs and all(m >= t for m, t in zip(mine, theirs, strict=True))
