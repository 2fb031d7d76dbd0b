"""Several desserts for one table: which cut for which of them loses least, so that a guest stays below a limit. One problem."""

from __future__ import annotations

from collections.abc import Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass, replace

from sun_crumb.core.errors import NothingToReworkError, OutOfDomainError
from sun_crumb.core.exploring.compare import point_of
from sun_crumb.core.formula import Formula, portion, served
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.reference import constant
from sun_crumb.core.rework.plan import Plan, rework
from sun_crumb.core.solving.solver import LinearModel
from sun_crumb.core.wish.goals import Goals

# The cuts that each dessert is tried at, and how far around the chosen ones it is looked closer.
CUTS = (0.15, 0.3, 0.45, 0.6, 0.75, 0.9, 1.0)
CLOSER = (-0.08, 0.07)
# What a band beyond the edge of balance costs beside a band of sweetness, and a food more to fetch (judgement).
OFF, FETCHED = 2.0, 0.25
MOST_DESSERTS = 8


@dataclass(frozen=True, slots=True)
class Dessert:
    """One of the afternoon's desserts: the recipe, the wish (its cut is what is looked for), how many portions a guest eats of it."""

    formula: Formula
    goals: Goals
    portions: float = 1.0


@dataclass(frozen=True, slots=True)
class Chosen:
    """What becomes of one dessert: the cut (0 for as it is), its plan, what a guest eats with it, and what it loses in bands."""

    title: str
    cut: float
    plan: Plan | None
    portions: float
    free_sugar_before_g: float
    free_sugar_g: float
    sweetness: float
    loss: float


@dataclass(frozen=True, slots=True)
class Afternoon:
    """The desserts with their cuts; what a guest eats of free sugar before and after, and whether the limit is held."""

    desserts: tuple[Chosen, ...]
    most_g: float
    before_g: float
    free_sugar_g: float
    is_held: bool
    words: str


def afternoon(desserts: Sequence[Dessert], most_g: float, pantry: Pantry, cup: CupStandard | None = None) -> Afternoon:
    """Return which cut for which dessert loses least while a guest eats *most_g* of free sugar at most.

    Every dessert is planned at several cuts, as a baker would bake it; of these the best together are chosen by an integer program, then
    looked for closer around them.

    Parameters
    ----------
    desserts
        What is on the table, with what a guest eats of each.
    most_g
        Free sugar for one guest (WHO) [g].
    pantry, cup
        As for rework.

    Raises
    ------
    OutOfDomainError
        No dessert, too many, a limit below 0, or no portion of one.
    """
    if not 1 <= len(desserts) <= MOST_DESSERTS:
        raise OutOfDomainError(f"an afternoon has 1 to {MOST_DESSERTS} desserts", field="desserts")
    if not 0 <= most_g <= 500:
        raise OutOfDomainError(f"{most_g:g} g is no limit: give 0 to 500", field="most_g")
    if any(not 0 < one.portions <= 20 for one in desserts):
        raise OutOfDomainError("a guest eats something of each, up to 20 portions", field="portions")
    tried = [[_as_it_is(one)] for one in desserts]
    _try(desserts, [CUTS] * len(desserts), tried, pantry, cup)
    first = _best(tried, most_g)
    closer = [tuple(c for by in CLOSER if one.cut > 0 and 0 < (c := round(one.cut + by, 3)) <= 1) for one in first]
    _try(desserts, closer, tried, pantry, cup)
    chosen = _best(tried, most_g)
    before, after = (sum(x.free_sugar_before_g for x in chosen), sum(x.free_sugar_g for x in chosen))
    is_held = after <= most_g + TOLERANCE_G
    return Afternoon(
        tuple(chosen), most_g, before, after, is_held, _words(chosen, most_g, before, after, is_held=is_held)
    )


# What weighing in spoons moves of a guest's sugar [g].
TOLERANCE_G = 0.05


def _as_it_is(one: Dessert) -> Chosen:
    held = portion(served(one.formula), one.formula.servings).free_sugars_who_g * one.portions
    return Chosen(one.formula.title, 0.0, None, one.portions, held, held, 1.0, 0.0)


def _try(
    desserts: Sequence[Dessert],
    cuts: Sequence[Sequence[float]],
    tried: list[list[Chosen]],
    pantry: Pantry,
    cup: CupStandard | None,
) -> None:
    """Add each dessert's plans at its *cuts* to what was *tried*; what holds nothing to cut stays as it is."""
    jobs = [(n, cut) for n, mine in enumerate(cuts) for cut in mine if all(cut != one.cut for one in tried[n])]

    def run(job: tuple[int, float]) -> tuple[int, Chosen | None]:
        n, cut = job
        one = desserts[n]
        try:
            plan = rework(one.formula, replace(one.goals, cut=cut), pantry, cup)
        except NothingToReworkError:
            return n, None
        return n, _chosen(one, cut, plan)

    with ThreadPoolExecutor(2) as pool:
        for n, found in pool.map(run, jobs):
            if found is not None:
                tried[n].append(found)


def _chosen(one: Dessert, cut: float, plan: Plan) -> Chosen:
    point = point_of(plan, replace(one.goals, cut=cut))
    held = portion(served(plan.after), plan.after.servings).free_sugars_who_g * one.portions
    was = portion(served(one.formula), one.formula.servings).free_sugars_who_g * one.portions
    new = sum(line.position is None and line.after_g > 0 for line in plan.lines)
    loss = max(1 - point.sweetness, 0.0) / constant("sweetness_band") + OFF * max(point.off_by - 1, 0.0) + FETCHED * new
    return Chosen(one.formula.title, cut, plan, one.portions, was, held, point.sweetness, loss)


def _best(tried: Sequence[Sequence[Chosen]], most_g: float) -> list[Chosen]:
    """Return one of each that together lose least within the limit; where none are within it, the least sugar that can be had."""
    model = LinearModel()
    held: dict[int, float] = {}
    choices: list[list[int]] = []
    for mine in tried:
        choices.append([model.binary(one.loss + TIE * one.cut) for one in mine])
        model.require(dict.fromkeys(choices[-1], 1.0), 1.0, 1.0)
        held |= {k: one.free_sugar_g for k, one in zip(choices[-1], mine, strict=True)}
    model.require(held, upper=most_g)
    found = model.solve()
    if found is None:
        return [min(mine, key=lambda one: (round(one.free_sugar_g, 2), one.loss)) for mine in tried]
    return [
        mine[max(range(len(mine)), key=lambda n: found.values[own[n]])]
        for mine, own in zip(tried, choices, strict=True)
    ]


# Of two that lose nearly as much the smaller cut: it is nearer to the dessert [bands for the whole of the sugar].
TIE = 0.3


def _words(chosen: Sequence[Chosen], most_g: float, before: float, after: float, *, is_held: bool) -> str:
    """Return what becomes of each, in a sentence."""
    told = ", ".join(
        f"{one.title} {'unchanged' if one.plan is None else f'cut by {100 * one.cut:.0f} %'}" for one in chosen
    )
    if before <= most_g:
        return f"A guest eats {grams_text(before)} of free sugar: within {grams_text(most_g)} as it all is."
    if is_held:
        return f"{told}: a guest eats {grams_text(after)} of free sugar, {grams_text(before)} before."
    return f"{grams_text(most_g)} is out of reach: {told} come to {grams_text(after)}, the least that can be had."
