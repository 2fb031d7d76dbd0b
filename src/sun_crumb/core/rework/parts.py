"""A recipe as problems to solve: one for each component that holds something to cut or a line that the baker has set."""

from __future__ import annotations

from collections.abc import Container, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from sun_crumb.core.balance import Family, Nature, Verdict, as_mixed, families, nature_of
from sun_crumb.core.balance.makeup import makeup
from sun_crumb.core.errors import NothingToReworkError, OutOfDomainError
from sun_crumb.core.formula import Formula
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.candidates import additions
from sun_crumb.core.offers.flavour import Flavour, flavours, seasoning_reason
from sun_crumb.core.offers.levers import lever_of, levers_in
from sun_crumb.core.offers.moves import counted_per_gram, is_cuttable
from sun_crumb.core.offers.stand_ins import must_go
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.recasting import Reference
from sun_crumb.core.solving.problem import BLEND_UP_TO, LEAST_SWEET, LIMITS, Problem
from sun_crumb.core.solving.together import Share
from sun_crumb.core.telling.unmet import ComponentBalance
from sun_crumb.core.wish.goals import DEFINITIONS, Goals

# A component with less than this share of the sugar that can be cut keeps its own, where the others need lose no more than so much of theirs (judgement).
SMALL, SMALL_UP_TO = 0.25, 0.7
# Below this confidence in its kind no milk, purée or starch comes into a component [probability] (judgement).
LEAST_KNOWN = 0.4
# From this share of flour it may: whichever it is, it is a crumb [g per g] (judgement).
A_CRUMB = 0.12


@dataclass(frozen=True, slots=True)
class Part:
    """One component: its lines, their positions in the whole recipe, and its problem, None where it stays as it is.

    With a problem the lines stand in an order of their own, not the recipe's.

    ``flavours`` are what may stand in for sweetness there: of the main one only. ``nature`` is what kind of dessert it was taken for, None where the
    baker said it.
    """

    component: str
    formula: Formula
    positions: list[int]
    problem: Problem | None
    flavours: tuple[Flavour, ...] = ()
    nature: Nature | None = None


def parts_of(
    formula: Formula,
    goals: Goals,
    pantry: Pantry,
    references: Mapping[str, Reference] | None = None,
    *,
    is_short: bool = False,
) -> Iterator[Part]:
    """Yield every component of *formula* with its problem; what must come in comes into the heaviest one.

    *references* are what components on another base are to come to, by name. Where the cut *is short* without them, also those are
    cut that hold little of the sugar.

    Raises
    ------
    NothingToReworkError
        There is no sugar of the kind to cut, or nothing besides sugar.
    OutOfDomainError
        A lock names a line that does not exist.
    """
    parts = [(c, formula.only(c), _positions(formula, c)) for c in formula.components]
    found = {c: nature_of(formula, c) for c, _, _ in parts if c not in goals.families}
    kinds = {c: found[c].family if c in found else families()[goals.families[c]] for c, _, _ in parts}
    references = references or {}
    _check(formula, goals, kinds, is_recast=bool(references))
    small = frozenset[str]() if is_short else _small(parts, goals)
    solved = {
        c: part
        for c, part, positions in parts
        if c in references or _is_solved(part, goals, positions, kinds[c], is_cut=c not in small)
    }
    heaviest = formula.heaviest(solved)
    held = _held(parts, goals)
    own = sum(held[c] for c in solved)
    goes = {c: _goes(part, goals, kinds[c]) for c, part in solved.items()}
    all_goes = sum(goes.values())
    whole = sum(held.values())
    movable = sum(counted_per_gram(x, goals.counted) * x.grams for x in formula.lines if is_cuttable(x, goals.counted))
    expected = min(goals.wanted_cut * whole / movable, 1.0) if movable else goals.wanted_cut
    as_it_falls = goals.keep_sweet is None and not goals.preset.most_new
    around = frozenset[str]().union(*(line.ingredient.tags for _, part, _ in parts for line in part.lines))
    for component, part, positions in parts:
        if component not in solved:
            yield Part(component, part, positions, None)
            continue
        part, positions = _in_order(part, positions)
        family = kinds[component]
        part = replace(part, lines=as_mixed(part.lines, family))
        locks = locks_of(part, positions, goals, family)
        own_goals = replace(
            goals,
            including=goals.including if component == heaviest else (),
            amounts=tuple(a for a in goals.amounts if a[0] == component),
        )
        kept = {n for n, i in enumerate(positions) if i in goals.locks}
        extra = additions(part, family, own_goals, pantry, kept, around)
        if component in found and _is_unknown(found[component], part):
            extra = [a for a in extra if _is_harmless(a)]
        is_minor = component != heaviest and _is_minor(part, held[component], own, goals, family)
        if is_minor:
            extra = [a for a in extra if not a.is_sweetener or a.is_required or a.is_wished or a.set_g is not None]
            wanted = replace(goals, keep_sweet=min(goals.wanted_sweetness, LEAST_SWEET))
        told = tuple(flavours(part, family, goals, pantry)) if component == heaviest else ()
        seasoned = _seasoned(told, locks, extra, len(part.lines), pantry)
        allowed = _allowed(parts, solved, component, goals)
        share = held[component] / own if own else 1 / len(solved)
        yield Part(
            component,
            part,
            positions,
            Problem(
                formula=part,
                family=family,
                goals=wanted if is_minor else goals,
                additions=extra,
                locks=locks,
                allowed=allowed,
                share=share,
                # A portion is eaten whole: what stomachs mind is shared between components as the sugar that can go is.
                sitting=goes[component] / all_goes if all_goes else share,
                seasoned=seasoned,
                is_sweet_as_it_falls=as_it_falls,
                expected_cut=expected,
                reference=references.get(component),
            ),
            told,
            found.get(component),
        )


def _is_minor(part: Formula, held_g: float, own_g: float, goals: Goals, family: Family) -> bool:
    """Return whether a part beside the sweet ones has so little sugar that a baker takes some of it and puts nothing in its place: a crumble, a crust."""
    can_go = sum(line.grams for line in part.lines if is_cuttable(line, goals.counted))
    is_shared = goals.preset.traits & {"shares", "fruit_only"} and goals.wanted_cut <= BLEND_UP_TO
    is_little = 0 < can_go <= MINOR_G and held_g <= MINOR_SHARE * own_g
    return bool(is_shared) and is_little and family.is_among(MINOR_KINDS)


# So much sugar in a part, and so much of all that goes is in it at most (judgement: a spoon of a sweetener in a topping is nobody's).
MINOR_G, MINOR_SHARE = 60.0, 0.4
MINOR_KINDS = ("crumble", "pie_crust", "shortbread", "cookie", "granola", "crumb_crust", "yeast_dough", "bar")


def _is_unknown(nature: Nature, part: Formula) -> bool:
    """Return whether nobody knows what a component is, not even that it is a crumb."""
    return nature.confidence < LEAST_KNOWN and makeup(part.lines)["flour"] < A_CRUMB


def _is_harmless(addition: Addition) -> bool:
    """Return whether something may come in where nobody knows what kind of dessert it is: what is asked for, or sweetens and brings nothing wet."""
    is_asked = addition.is_required or addition.is_wished or addition.set_g is not None
    return is_asked or addition.kind in ("stand_in", "swap", "bulk", "intense", "crystal", "syrup")


def locks_of(part: Formula, positions: list[int], goals: Goals, family: Family) -> dict[int, float]:
    """Return the amounts that the baker has set in one component, by line there [g]; what is to be left out is 0."""
    set_at = {n: goals.locks[i] for n, i in enumerate(positions) if i in goals.locks}
    return {n: 0.0 for n, line in enumerate(part.lines) if must_go(line, goals, family)} | set_at


def _seasoned(
    told: tuple[Flavour, ...], locks: dict[int, float], extra: list[Addition], count: int, pantry: Pantry
) -> dict[int, str]:
    """Put the chosen flavours into *locks* and *extra*; return why, by row: *count* lines, then what comes in."""
    found = {}
    for flavour in told:
        if not flavour.is_in or flavour.grams <= 0:
            continue
        if flavour.position is not None:
            if flavour.position not in locks:
                locks[flavour.position] = flavour.grams
                found[flavour.position] = seasoning_reason(flavour)
        elif all(a.ingredient.key != flavour.ingredient for a in extra):
            found[count + len(extra)] = seasoning_reason(flavour)
            ingredient = pantry[flavour.ingredient]
            extra.append(Addition(ingredient, "flavour", 0.0, None, 0.0, is_required=True, set_g=flavour.grams))
    return found


def _check(formula: Formula, goals: Goals, kinds: dict[str, Family], *, is_recast: bool) -> None:
    if not formula.lines:
        raise NothingToReworkError("the recipe has no weighed lines yet", field="lines")
    for position in goals.locks:
        if not 0 <= position < len(formula.lines):
            raise OutOfDomainError(
                f"line {position + 1} can't be locked: the recipe has {len(formula.lines)} lines",
                field="locks",
                position=position,
            )
    what = DEFINITIONS[goals.counted]
    cuttable = [line for line in formula.lines if is_cuttable(line, goals.counted) and line.grams > 0]
    for component, key, _ in goals.amounts:
        if any(x.component == component and x.ingredient.key == key for x in formula.lines):
            raise OutOfDomainError(f"{key} is a line of the recipe: set that one", field="amounts", key=key)
        if component not in kinds:
            raise OutOfDomainError(f"{key} can't be set: the recipe has no component {component!r}", field="amounts")
    leaves = any(
        must_go(line, goals, kinds[line.component]) or lever_of(line, goals, kinds[line.component])
        for line in formula.lines
    )
    if not (cuttable or goals.locks or goals.amounts or leaves or is_recast):
        raise NothingToReworkError(
            _nothing_to_cut(formula, goals, what),
            field="lines",
            definition=goals.counted,
        )
    if len(cuttable) == len(formula.lines):
        raise NothingToReworkError("there is nothing in this recipe besides sugar to rebalance", field="lines")


def _nothing_to_cut(formula: Formula, goals: Goals, what: str) -> str:
    """Return why there is nothing to cut: where the sugar is that this path leaves alone, or that there is none."""
    held, most = max(
        ((counted_per_gram(x, goals.counted) * x.grams, x.ingredient.name.lower()) for x in formula.lines),
        default=(0.0, ""),
    )
    if held < MUCH * formula.mass_g:
        return f"nothing to cut: no line of this recipe is a sweetener that holds {what}"
    return f"nothing to cut: the {what} is in the {most}, which the path “{goals.preset.name}” leaves alone"


# From this share of the mass on the sugar of one line is worth naming [g per g] (judgement).
MUCH = 0.02


def _small(parts: list[tuple[str, Formula, list[int]]], goals: Goals) -> frozenset[str]:
    """Return the components that hold so little of the sugar that the others can do without theirs: nobody weighs two spoons for a crust."""
    held = {
        c: sum(counted_per_gram(x, goals.counted) * x.grams for x in part.lines if is_cuttable(x, goals.counted))
        for c, part, _ in parts
    }
    whole = sum(held.values())
    found, left = set[str](), 1.0
    for component, grams in sorted(held.items(), key=lambda pair: pair[1]):
        share = grams / whole if whole else 0.0
        if 0 < share < SMALL and goals.wanted_cut <= SMALL_UP_TO * (left - share):
            found.add(component)
            left -= share
    return frozenset(found)


def _is_solved(part: Formula, goals: Goals, positions: list[int], family: Family, *, is_cut: bool) -> bool:
    """Return whether a component is rebalanced: it holds something to cut, to leave out, or what the baker has set."""
    component = part.lines[0].component
    return (
        any(i in goals.locks for i in positions)
        or any(c == component for c, _, _ in goals.amounts)
        or any(
            (is_cut and is_cuttable(line, goals.counted))
            or must_go(line, goals, family)
            or lever_of(line, goals, family)
            for line in part.lines
        )
    )


def _held(parts: list[tuple[str, Formula, list[int]]], goals: Goals) -> dict[str, float]:
    """Return the sugar to cut that each component holds [g]."""
    return {c: sum(counted_per_gram(x, goals.counted) * x.grams for x in part.lines) for c, part, _ in parts}


def _goes(part: Formula, goals: Goals, family: Family) -> float:
    """Return the sugar of a component that may go [g]: what is cut, or makes way for another food."""
    swapped = {n for n, _, _ in levers_in(part.lines, goals, family, {line.ingredient.key for line in part.lines})}
    return sum(
        counted_per_gram(line, goals.counted) * line.grams
        for n, line in enumerate(part.lines)
        if n in swapped or is_cuttable(line, goals.counted)
    )


def share_of(parts: Iterable[Part], goals: Goals) -> Share:
    """Return the cut that the components with a problem bear together."""
    left = (part.formula.lines for part in parts if part.problem is None)
    return Share(goals.wanted_cut, sum(counted_per_gram(x, goals.counted) * x.grams for lines in left for x in lines))


def _positions(formula: Formula, component: str) -> list[int]:
    return [i for i, line in enumerate(formula.lines) if line.component == component]


def _allowed(
    parts: list[tuple[str, Formula, list[int]]], solved: Container[str], component: str, goals: Goals
) -> dict[str, float]:
    """Return what one component may hold: its share of the limit, after what the components left alone hold."""
    found = {}
    for name, most in (
        ("energy", goals.most_energy_kcal),
        ("free_sugar", goals.most_free_sugar_g),
        ("cost", goals.most_cost),
    ):
        if most is None:
            continue
        held = {c: sum(LIMITS[name](x, goals) * x.grams for x in part.lines) for c, part, _ in parts}
        left = most * parts[0][1].servings - sum(h for c, h in held.items() if c not in solved)
        whole = sum(h for c, h in held.items() if c in solved)
        # What holds none of it yet, as a recipe without a price, shares by its weight.
        share = held[component] / whole if whole else _mass(parts, [component]) / _mass(parts, solved)
        found[name] = max(left, 0.0) * share
    return found


def _in_order(part: Formula, positions: list[int]) -> tuple[Formula, list[int]]:
    """Return a component with its lines in an order of their own: what a plan is must not hang on how a recipe lists them."""
    pairs = sorted(
        zip(part.lines, positions, strict=True),
        key=lambda pair: (pair[0].ingredient.key, pair[0].grams, pair[0].is_crushed, pair[0].text),
    )
    return replace(part, lines=tuple(line for line, _ in pairs)), [position for _, position in pairs]


def _mass(parts: list[tuple[str, Formula, list[int]]], components: Container[str]) -> float:
    return sum(part.mass_g for c, part, _ in parts if c in components)


def balance_of(part: Part, judged: Sequence[Verdict], residual: str = "") -> ComponentBalance:
    """Return the balance of a component, with what kind of dessert it was taken for and how surely."""
    assert part.problem is not None
    family, nature = part.problem.family, part.nature
    if part.problem.reference is not None:
        return ComponentBalance(
            part.component, family.key, family.name, tuple(judged), residual, against="what this base asks"
        )
    if nature is None:
        return ComponentBalance(part.component, family.key, family.name, tuple(judged), residual)
    return ComponentBalance(
        part.component, family.key, family.name, tuple(judged), residual, nature.confidence, nature.candidates
    )
