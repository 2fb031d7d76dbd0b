"""Reading, analysing and reworking without a database."""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, fields, replace
from time import perf_counter
from typing import Any

from sun_crumb.core.balance import families as all_families
from sun_crumb.core.doubt import Doubted, PlanDoubt, doubt_of, doubt_of_plan
from sun_crumb.core.errors import OutOfDomainError, UnknownIngredientError, require_choice
from sun_crumb.core.exploring import Checked
from sun_crumb.core.exploring import check as check_formula
from sun_crumb.core.formula import Analysis, Formula, FormulaLine, from_reading, with_foams
from sun_crumb.core.formula import analyse as analyse_formula
from sun_crumb.core.formula.recipe import is_crushed, of_its_size
from sun_crumb.core.pantry import Ingredient, Pantry, shipped_pantry
from sun_crumb.core.pantry.household import household
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.reading import Reading, ReadLine, read_recipe
from sun_crumb.core.reading.listed_under import may_tell_stages, stage_by_text
from sun_crumb.core.reading.match import name_index
from sun_crumb.core.reading.records import LeftOut, Role
from sun_crumb.core.recasting import Offer, offers
from sun_crumb.core.rework import Plan, rework
from sun_crumb.core.rework.surely import told_amounts
from sun_crumb.core.wish import Goals
from sun_crumb.formats.incoming import UnreadableFileError, read_file


@dataclass(frozen=True, slots=True)
class PlainLine:
    """A weighed line as it comes from outside."""

    ingredient: str
    grams: float
    component: str = ""
    text: str = ""
    is_crushed: bool | None = None


@dataclass(frozen=True, slots=True)
class ReadText(Reading):
    """A reading, with what its weighed lines hold and what is in no total until it is decided."""

    analysis: Analysis | None = None
    left_out: tuple[LeftOut, ...] = ()
    source: str = ""


@dataclass(frozen=True, slots=True)
class Analysed(Analysis):
    """An analysis, with how far its figures may be off."""

    uncertainty: Doubted


@dataclass(frozen=True, slots=True)
class TimedPlan(Plan):
    """A plan, the bases that it could stand on instead, how far its figures may be off, and how long it took [ms]."""

    bases: tuple[Offer, ...] = ()
    uncertainty: PlanDoubt | None = None
    solve_ms: float = 0.0


def read(
    text: str, cup: str | None = None, pantry: Pantry | None = None, roles: Mapping[int, Role] | None = None
) -> ReadText:
    """Return *text* as read, with the analysis of what could be weighed; *roles* are what the baker says that lines are."""
    pantry = pantry or shipped_pantry()
    source = page_as_text(text)
    reading = read_recipe(source or text, pantry, cup, roles)
    formula, positions = from_reading(reading, pantry)
    left_out = [LeftOut(line.text, _why(line), n) for n, line in enumerate(reading.lines) if n in set(positions)]
    return ReadText(
        **_fields_of(reading),
        analysis=analyse_formula(formula) if formula.lines else None,
        left_out=tuple(left_out),
        source=source,
    )


def page_as_text(text: str) -> str:
    """Return the recipe of a whole page pasted as HTML as text, or an empty string where *text* is no page or holds none."""
    if not _PAGE.search(text[:4000]):
        return ""
    try:
        return read_file("pasted.html", text).text
    except UnreadableFileError:
        return ""


_PAGE = re.compile(r"<!doctype html|<html[\s>]|<(?:body|script|div|article|ul|li|p|h1)\b[^>]*>", re.I)


def _why(line: ReadLine) -> str:
    return line.problem or ("no weight is known for it" if line.ingredient else "no food is found in it")


def _fields_of(record: Any) -> dict[str, Any]:
    return {f.name: getattr(record, f.name) for f in fields(record)}


def read_formula(
    text: str, cup: str | None = None, servings: int | None = None
) -> tuple[Formula, Reading, CupStandard]:
    """Return the formula of a text, its reading, and the cup standard it is written in."""
    reading = read_recipe(text, shipped_pantry(), cup)
    formula, _ = from_reading(reading, shipped_pantry())
    if servings is not None:
        formula = replace(formula, servings=servings, is_servings_assumed=False)
    return formula, reading, cup_standard(reading.cup)


def as_listed(formula: Formula, source_text: str) -> Formula:
    """Return a kept formula with the stages that its text lists its foods under: the sugar among the wet things is one of them."""
    if not may_tell_stages(source_text):
        return formula
    told = stage_by_text(read_recipe(source_text, shipped_pantry()))
    return replace(formula, lines=tuple(replace(x, stage=told.get(x.text, "")) for x in formula.lines))


def formula_of(
    title: str,
    lines: Iterable[PlainLine],
    servings: int,
    unit: str,
    pantry: Pantry | None = None,
    own_yields: Mapping[str, int] | None = None,
) -> Formula:
    """Return the formula of weighed lines; an unknown ingredient or absurd weight raises an error that names the line."""
    pantry = pantry or shipped_pantry()
    return Formula(
        title,
        with_foams(
            [
                FormulaLine(
                    of_its_size(pantry[line.ingredient], line.text, line.grams),
                    line.grams,
                    line.component,
                    is_crushed(line.text) if line.is_crushed is None else line.is_crushed,
                    line.text,
                )
                for line in lines
            ]
        ),
        servings,
        unit,
        own_yields=tuple((c, n) for c, n in (own_yields or {}).items() if n != servings),
    )


def analyse(
    lines: Iterable[PlainLine],
    servings: int,
    unit: str,
    pantry: Pantry | None = None,
    own_yields: Mapping[str, int] | None = None,
) -> Analysed:
    """Return the analysis of weighed lines, with how far its figures may be off."""
    return analysed(formula_of("", lines, servings, unit, pantry, own_yields), pantry)


def analysed(formula: Formula, pantry: Pantry | None = None) -> Analysed:
    """Return what a recipe holds, with how far its figures may be off."""
    return Analysed(
        **_fields_of(analyse_formula(formula)), uncertainty=doubt_of(formula, (pantry or shipped_pantry()).learned_sds)
    )


def check(
    formula: Formula, families: Mapping[str, str] | None = None, cup: CupStandard | None = None
) -> tuple[Checked, ...]:
    """Return each component of a recipe judged by itself; *families* is what the baker says that they are.

    Raises
    ------
    UnknownChoiceError, OutOfDomainError
        There is no such family, or no such component.
    """
    for component, key in (families or {}).items():
        if component not in formula.components:
            raise OutOfDomainError(f"the recipe has no component {component!r}", field="families")
        require_choice(key, all_families(), "families")
    return check_formula(formula, families, cup)


def plan(formula: Formula, goals: Goals, cup: CupStandard, pantry: Pantry | None = None) -> TimedPlan:
    """Return the reworked formula, with the time it took."""
    start = perf_counter()
    pantry = pantry or shipped_pantry()
    found = rework(formula, goals, pantry, cup)
    told = told_amounts(found.after, found.lines, cup)
    # What its parts were taken for need not be looked for again.
    kinds = {} if found.recast else {b.component: b.family for b in found.balance}
    return TimedPlan(
        **_fields_of(found),
        bases=tuple(offers(formula, replace(goals, families=kinds | goals.families))),
        uncertainty=doubt_of_plan(formula, found.after, told, goals.wanted_sweetness, pantry.learned_sds),
        solve_ms=1000 * (perf_counter() - start),
    )


def cupboard_keys(words: Iterable[str], pantry: Pantry | None = None) -> tuple[str, ...]:
    """Return the pantry keys of the sweeteners at hand, given by key or by name ("dates" stand for date paste).

    Raises
    ------
    UnknownIngredientError
        A word that names nothing in the pantry.
    """
    pantry = pantry or shipped_pantry()
    found = []
    for word in words:
        key = word
        if word not in pantry:
            near = name_index(pantry).match(word)
            if not near or near[0].confidence < 0.6:
                near = [c for c in name_index(pantry).match(f"{word} syrup") if c.confidence > 0.9]
            if not near:
                raise UnknownIngredientError(f"the pantry holds no {word!r}", field="cupboard", ingredient=word)
            key = near[0].ingredient
        found.append(pantry[key].becomes or key)
    return tuple(dict.fromkeys(found))


def pantry_keys(words: Iterable[str], pantry: Pantry | None = None, field: str = "ingredient") -> tuple[str, ...]:
    """Return the pantry key of each food given by key or by name.

    Raises
    ------
    UnknownIngredientError
        A word that names nothing in the pantry; the error names *field*.
    """
    pantry = pantry or shipped_pantry()
    found = []
    for word in words:
        near = [] if word in pantry else name_index(pantry).match(word)
        if word not in pantry and (not near or near[0].confidence < 0.6):
            raise UnknownIngredientError(f"the pantry holds no {word!r}", field=field, ingredient=word)
        found.append(word if word in pantry else near[0].ingredient)
    return tuple(found)


def search_pantry(query: str, limit: int, pantry: Pantry, hidden: set[str]) -> list[Ingredient]:
    """Return the ingredients that *query* may mean, the likeliest first; all of them for an empty query."""
    if not query.strip():
        return [i for i in pantry if i.key not in hidden][:limit]
    words = query.lower().strip()
    named = [(name.count(" "), key) for key, name in pantry.names if name.startswith(words) or f" {words}" in name]
    # The plainest name first: "zucchini" before "zucchero di canna".
    begun = [key for _, key in sorted(named, key=lambda pair: pair[0])]
    found = [c.ingredient for c in name_index(pantry).match(query, limit=limit)]
    return [pantry[key] for key in dict.fromkeys([*begun, *found]) if key not in hidden][:limit]


def household_text(ingredient: Ingredient, grams: float, cup: str) -> str:
    """Return an amount as the kitchen measures it."""
    return household(ingredient, grams, cup_standard(cup)) or grams_text(grams)
