"""A whole recipe with some of its components on another base, before anything is rebalanced."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, replace

from sun_crumb.core.balance import Family, as_mixed, families, measure, nature_of
from sun_crumb.core.balance.patterns import Pattern
from sun_crumb.core.errors import OutOfDomainError, UnknownChoiceError
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.offers.moves import counted_per_gram, is_cuttable
from sun_crumb.core.offers.stand_ins import stand_in_for
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.recasting.bases import (
    Base,
    Way,
    bases,
    patterns_by_key,
    stands_on,
    target_of,
    way_as,
    way_onto,
    way_to,
)
from sun_crumb.core.recasting.component import Begin, begin
from sun_crumb.core.recasting.groups import group_of
from sun_crumb.core.recasting.why import changed_why, gone_why
from sun_crumb.core.wish.goals import Goals


@dataclass(frozen=True, slots=True)
class Reference:
    """What a recast component is to come to, by the names of QUANTITIES [g, mL, meq]; ``counted_g`` is the sugar to cut that it held.

    ``as_sweet`` is the part of the original's sweetness that its base bears: what is asked is a part of that.
    """

    quantities: Mapping[str, float]
    counted_g: float
    as_sweet: float = 1.0


@dataclass(frozen=True, slots=True)
class Recasted:
    """One component on another base: what it was and is, by which pattern, what to do otherwise, what can't be had."""

    component: str
    base: str
    words: str
    pattern: str
    pattern_name: str
    family_before: str
    family: str
    batter: str
    cannot: str
    oven_lower_c: float
    longer: float
    pour: str = ""


@dataclass(frozen=True, slots=True)
class Recast:
    """A recipe on another base: amounts to begin from, with their ``origins`` in the original's list (None for what is new).

    ``why`` says why a line is as it begins, by its position here; ``gone`` why one of the original's is not there, by its own.
    """

    formula: Formula
    goals: Goals
    origins: tuple[int | None, ...]
    why: Mapping[int, str]
    gone: Mapping[int, str]
    references: Mapping[str, Reference]
    told: tuple[Recasted, ...]

    def moved(self, goals: Goals) -> Goals:
        """Return another wish on the same bases, by the positions of the recast."""
        return _moved(goals, self.formula, self.origins, {x.component: x.family for x in self.told})


@dataclass(frozen=True, slots=True)
class _Chosen:
    component: str
    family: Family
    target: Pattern
    way: Way
    base: Base | None


def recast(formula: Formula, goals: Goals, cup: CupStandard) -> Recast | None:
    """Return *formula* on the base that the wish asks for, None where it asks for none.

    Parameters
    ----------
    formula
        The recipe in grams.
    goals
        The wish: ``base``, ``recasts``, and what is ruled out.
    cup
        The cup standard that amounts begin in.

    Raises
    ------
    OutOfDomainError, UnknownChoiceError
        The base suits nothing here, the pattern is of another family, or it is ruled out; says what can be had.
    """
    if goals.base is None and not goals.recasts:
        return None
    chosen = {one.component: one for one in _chosen(formula, goals)}
    lines: list[FormulaLine] = []
    origins: list[int | None] = []
    why: dict[int, str] = {}
    gone: dict[int, str] = {}
    references: dict[str, Reference] = {}
    for component in formula.components:
        places = [n for n, line in enumerate(formula.lines) if line.component == component]
        if component not in chosen:
            lines += [formula.lines[n] for n in places]
            origins += places
            continue
        one = chosen[component]
        _refuse_held_body(one, [(n, formula.lines[n]) for n in places], goals)
        mixed = as_mixed([formula.lines[n] for n in places], families()[one.target.family])
        begun = _begun(one, mixed, places, goals, cup, is_weighed=formula.is_weighed)
        told = changed_why(mixed, begun, _stands_on(one))
        for k, line in enumerate(begun.lines):
            why[len(lines)] = told[k]
            lines.append(line.line)
            origins.append(None if line.origin is None else places[line.origin])
        gone |= {places[n]: text for n, text in gone_why(mixed, begun, one.base).items()}
        references[component] = _reference(mixed, begun, families()[one.target.family], goals, one.way)
    found = replace(formula, lines=tuple(lines), own_yields=formula.own_yields)
    return Recast(
        found,
        _moved(goals, found, tuple(origins), {c: one.target.family for c, one in chosen.items()}),
        tuple(origins),
        why,
        gone,
        references,
        tuple(_told(one) for one in chosen.values()),
    )


def _refuse_held_body(one: _Chosen, lines: Iterable[tuple[int, FormulaLine]], goals: Goals) -> None:
    """Raise OutOfDomainError where the baker holds what another base is to take the place of."""
    foods = {key for key, _ in one.target.grams}
    for place, line in lines:
        is_body = group_of(line.ingredient) == "body" and not line.is_inclusion and line.ingredient.key not in foods
        if is_body and goals.locks.get(place, 0.0) > 0:
            name, words = line.ingredient.name, one.base.words if one.base else f"as {one.target.name}"
            raise OutOfDomainError(f"{name} is set by you: let it go to make it {words}", field="locks", position=place)


def _stands_on(one: _Chosen) -> Base | None:
    """Return the base whose words are true of a pattern: a gluten-free crumb of ground almonds is no flour blend."""
    return next((base for base in bases().values() if base.name == one.target.base), one.base)


def _begun(
    one: _Chosen, mixed: tuple[FormulaLine, ...], places: list[int], goals: Goals, cup: CupStandard, *, is_weighed: bool
) -> Begin:
    held = {n: goals.locks[place] for n, place in enumerate(places) if place in goals.locks}
    return begin(mixed, one.family, one.target, one.way, held, cup, is_weighed=is_weighed)


def _reference(mixed: Iterable[FormulaLine], begun: Begin, family: Family, goals: Goals, way: Way) -> Reference:
    """Return what a component is to come to: the pattern's quantities at its mass, as sweet as the original was.

    What a base sweetens by itself is as sweet as the base is; else no sweeter than it bears.
    """
    mixed = list(mixed)
    ideal = measure(as_mixed(begun.ideal, family))
    old = measure(mixed)
    asked = old["sweetness"] * (ideal["mass"] / old["mass"] if old["mass"] else 1.0)
    own = ideal["sweetness"]
    if "sweet" in way.keeps:
        sweetness = min(asked, MOST_SWEETER * own) if own > 0 else asked
    else:
        sweetness = own / goals.wanted_sweetness
    natural = sweetness / asked if asked else 1.0
    ideal |= {"sweetness": sweetness, "glycosides": 0.0}
    return Reference(ideal, sum(counted_per_gram(x, goals.counted) * x.grams for x in mixed), natural)


# A base may be made so much sweeter than its pattern and hold its balance (judgement).
MOST_SWEETER = 1.6


def _told(one: _Chosen) -> Recasted:
    family = families()[one.target.family]
    return Recasted(
        component=one.component,
        base=one.base.key if one.base else "",
        words=one.base.words if one.base else f"as {one.target.name}",
        pattern=one.target.key,
        pattern_name=one.target.name,
        family_before=one.family.name,
        family=family.key,
        batter=one.way.batter,
        cannot=one.way.cannot,
        oven_lower_c=one.way.oven_lower_c,
        longer=one.way.longer,
        pour=one.way.pour,
    )


def _moved(goals: Goals, found: Formula, origins: tuple[int | None, ...], made: Mapping[str, str]) -> Goals:
    """Return the wish by the positions of the recast: locks go with their lines, an amount of what is a line now is a lock."""
    there = {(x.component, x.ingredient.key): n for n, x in enumerate(found.lines)}
    locks = {origins.index(place): grams for place, grams in goals.locks.items() if place in origins}
    amounts = []
    for component, key, grams in goals.amounts:
        if component in made and (component, key) in there:
            locks[there[component, key]] = grams
        else:
            amounts.append((component, key, grams))
    if goals.base is not None and bases()[goals.base].without == "sugar":
        # Fruit alone: what else could sweeten stays out, and the wish keeps its cut, its sweetness and the sugar that it counts.
        goals = replace(
            goals,
            path="fruit",
            cut=goals.wanted_cut,
            keep_sweet=goals.wanted_sweetness,
            definition=goals.counted,
            cupboard=None,
        )
    return replace(
        goals, base=None, recasts={}, locks=locks, amounts=tuple(amounts), families=goals.families | dict(made)
    )


def _chosen(formula: Formula, goals: Goals) -> Iterator[_Chosen]:
    """Give the components that are made on another base, with what each follows."""
    kinds = {c: _family(formula, goals, c) for c in formula.components}
    for component, key in goals.recasts.items():
        if component not in kinds:
            raise UnknownChoiceError(
                f"the recipe has no component {component!r}", field="recasts", choices=sorted(kinds)
            )
        if key.startswith("own_") and key not in goals.own:
            raise OutOfDomainError("that pattern of yours is no longer kept", field="recasts", key=key)
        target = goals.own.get(key) or patterns_by_key()[key]
        way = way_as(target, kinds[component]) if key in goals.own else way_to(key, kinds[component])
        if way is None:
            raise OutOfDomainError(
                f"a {kinds[component].name} can't become a {target.name}{_instead(formula, goals)}",
                field="recasts",
                key=key,
            )
        one = _Chosen(component, kinds[component], target, way, bases().get(way.base))
        if ruled := _ruled_out(one, formula, goals):
            raise OutOfDomainError(f"{target.name}: {ruled}{_instead(formula, goals)}", field="recasts", key=key)
        yield one
    if goals.base is None:
        return
    base = bases()[goals.base]
    found = [one for one in _onto(formula, goals, base, kinds) if one.component not in goals.recasts]
    for one in found:
        if ruled := _ruled_out(one, formula, goals):
            raise OutOfDomainError(f"{base.words}: {ruled}{_instead(formula, goals)}", field="base", key=base.key)
    if not found:
        raise OutOfDomainError(
            f"nothing of this recipe can be made {base.words}{_instead(formula, goals)}", field="base", key=base.key
        )
    yield from found


def fits(formula: Formula, goals: Goals, component: str, target: Pattern) -> bool:
    """Return whether a component can follow a pattern of the household's own under a wish.

    Parameters
    ----------
    formula, goals
        The recipe, and what is ruled out.
    component
        The component's name.
    target
        The pattern.
    """
    family = _family(formula, goals, component)
    way = way_as(target, family)
    return way is not None and not _ruled_out(_Chosen(component, family, target, way, None), formula, goals)


def _family(formula: Formula, goals: Goals, component: str) -> Family:
    if component in goals.families:
        return families()[goals.families[component]]
    return nature_of(formula, component).family


def _onto(formula: Formula, goals: Goals, base: Base, kinds: Mapping[str, Family]) -> Iterator[_Chosen]:
    """Give the components that can come onto a base and are not on it yet."""
    for component, family in kinds.items():
        way = way_onto(base.key, family)
        if way is None:
            continue
        lines = as_mixed([x for x in formula.lines if x.component == component], family)
        target = target_of(way, lines)
        if target is None or _is_there(base, lines, target):
            continue
        yield _Chosen(component, family, target, replace(way, patterns=(target.key,)), base)


def _is_there(base: Base, lines: Iterable[FormulaLine], target: Pattern) -> bool:
    """Return whether a component is on a base already: it holds nothing of what the base does without, or stands on it."""
    lines = list(lines)
    return not any(is_ruled_out(base, x) for x in lines) if base.without else stands_on(lines, target)


def is_ruled_out(base: Base, line: FormulaLine) -> bool:
    """Return whether a line is of what a base does without: an egg, a food with gluten, a sugar that is cut."""
    match base.without:
        case "egg":
            return group_of(line.ingredient) == "egg"
        case "gluten":
            return bool({"gluten", "wheat"} & line.ingredient.tags)
        case "sugar":
            return is_cuttable(line, "free_sugars_who_g")
    return False


def _ruled_out(one: _Chosen, formula: Formula, goals: Goals) -> str:
    """Return which food of a pattern a wish rules out with nothing to take its place, in words; empty where none."""
    family = families()[one.target.family]
    own = {group_of(x.ingredient) for x in formula.lines if x.component == one.component} & one.way.keeps
    for line in one.target.lines:
        food = line.ingredient
        if group_of(food) in own or group_of(food) == "flavour":
            continue
        if food.key in goals.without:
            return f"{food.name} is left out"
        is_body = group_of(food) == "body"
        if food.tags & goals.excluded and (is_body or stand_in_for(line, goals, family) is None):
            return f"it stands on {food.name}, which is ruled out at this table"
    return ""


@dataclass(frozen=True, slots=True)
class Offer:
    """A base that something of a recipe can be made on, and which pattern each of its components would follow on it (``parts``).

    ``is_whole`` is false where another component that would come onto the base must not: then it is had for ``parts`` alone.
    """

    key: str
    name: str
    words: str
    parts: dict[str, str]
    is_whole: bool


def offers(formula: Formula, goals: Goals) -> list[Offer]:
    """Return the bases that something of a recipe can be made on under a wish, in their order, each with the components that it suits.

    Parameters
    ----------
    formula
        The recipe.
    goals
        What is ruled out, and what its components are.
    """
    kinds = {c: _family(formula, goals, c) for c in formula.components}
    found = []
    for base in bases().values():
        ones = list(_onto(formula, goals, base, kinds))
        had = [one for one in ones if not _ruled_out(one, formula, goals)]
        if had:
            parts = {one.component: one.target.key for one in had}
            found.append(Offer(base.key, base.name, base.words, parts, is_whole=len(had) == len(ones)))
    return found


def possible_bases(formula: Formula, goals: Goals) -> list[Base]:
    """Return the bases that a recipe can be made on as a whole under a wish, in their order.

    Parameters
    ----------
    formula, goals
        As for :func:`offers`.
    """
    return [bases()[offer.key] for offer in offers(formula, goals) if offer.is_whole]


def _instead(formula: Formula, goals: Goals) -> str:
    """Return what can be had, for the end of a sentence."""
    names = [base.words for base in possible_bases(formula, replace(goals, base=None, recasts={}))]
    if not names:
        return "; nor on any other base"
    return (
        f"; it can be made {', '.join(names[:-1])} or {names[-1]}" if len(names) > 1 else f"; it can be made {names[0]}"
    )
