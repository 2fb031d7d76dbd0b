"""Portions of several kinds out of one bake: plain, dusted, frosted."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula.recipe import Formula
from sun_crumb.core.formula.totals import Totals, added, total


@dataclass(frozen=True, slots=True)
class PortionKind:
    """So many equal portions, each with its share of some components; an empty name is the usual kind."""

    name: str
    count: int
    components: tuple[str, ...]


def check_portions(formula: Formula, kinds: Sequence[PortionKind]) -> None:
    """Raise OutOfDomainError unless the kinds count up to the servings and use every component.

    Parameters
    ----------
    formula
        The recipe.
    kinds
        Kinds of portion, each of at least one, with names of their own.

    Raises
    ------
    OutOfDomainError
        Names the field ``portions`` and says what does not add up.

    Examples
    --------
    >>> check_portions(Formula("cake", (), 8), [PortionKind("", 7, ())])
    Traceback (most recent call last):
    ...
    sun_crumb.core.errors.OutOfDomainError: 7 portions do not make 8
    """
    if sum(kind.count for kind in kinds) != formula.servings or any(kind.count < 1 for kind in kinds):
        counts = " + ".join(str(kind.count) for kind in kinds)
        raise OutOfDomainError(f"{counts} portions do not make {formula.servings}", field="portions")
    if len({kind.name for kind in kinds}) != len(kinds):
        raise OutOfDomainError("two kinds of portion have the same name", field="portions")
    known = set(formula.components)
    for kind in kinds:
        if unknown := set(kind.components) - known:
            raise OutOfDomainError(f"the recipe has no component {sorted(unknown)[0]!r}", field="portions")
    if missing := known - {c for kind in kinds for c in kind.components}:
        raise OutOfDomainError(f"no portion gets the component {sorted(missing)[0]!r}", field="portions")


def portion_totals(formula: Formula, kinds: Sequence[PortionKind]) -> dict[str, Totals]:
    """Return what one portion of each kind holds: every component is shared equally among the portions that get it.

    A component made for more portions than get it leaves some over.

    Parameters
    ----------
    formula
        The recipe, with at least one portion.
    kinds
        Kinds of portion; none stand for one kind, named by an empty string, with its share of everything.

    Raises
    ------
    OutOfDomainError
        The kinds don't count up to the servings, or leave a component out.
    """
    kinds = kinds or [PortionKind("", formula.servings, formula.components)]
    check_portions(formula, kinds)
    own = dict(formula.own_yields)
    sharers = {c: max(sum(k.count for k in kinds if c in k.components), own.get(c, 0)) for c in formula.components}
    whole = {c: total(formula.only(c).lines) for c in formula.components}
    return {kind.name: added(whole[c].scaled(1 / sharers[c]) for c in kind.components) for kind in kinds}


def served(formula: Formula) -> Totals:
    """Return what all portions together hold: the batch without what a component's own yield leaves over.

    Parameters
    ----------
    formula
        The recipe; masses [g], energy [kcal].
    """
    if not formula.own_yields:
        return total(formula.lines)
    return added(kind.scaled(formula.servings) for kind in portion_totals(formula, ()).values())


def suggested_kinds(formula: Formula) -> tuple[PortionKind, ...]:
    """Return the kinds of portion that own yields ask for: with and without a component made for fewer; else none.

    Parameters
    ----------
    formula
        The recipe; only one component made for fewer than the whole suggests kinds.
    """
    fewer = [(c, n) for c, n in formula.own_yields if n < formula.servings]
    if len(fewer) != 1:
        return ()
    (component, count), everything = fewer[0], formula.components
    rest = tuple(c for c in everything if c != component)
    if not rest:
        return ()
    return (
        PortionKind(f"with {component}", count, everything),
        PortionKind("plain", formula.servings - count, rest),
    )
