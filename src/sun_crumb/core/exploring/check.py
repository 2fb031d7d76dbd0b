"""A recipe judged by itself: what lies off the norms of its family, what that is like to eat, and the smallest mend."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.balance import Family, as_mixed, families, measure
from sun_crumb.core.balance.nature import nature_of
from sun_crumb.core.balance.norms import Norm, absolutes, norms
from sun_crumb.core.balance.patterns import nearest, patterns
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.formula.told import told_amount
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.solving.rules import MOST_DISSOLVED, is_ground
from sun_crumb.core.sugars.sittings import sitting_share
from sun_crumb.core.wish.goals import CAPS

Level = Literal["fine", "off", "far"]
# From this part of a norm's width outside it on something is far off (judgement).
FAR = 0.5
# Roles of the lines that a mend may move, and how far [share of the line].
MENDED = {
    "water": ("liquid", "flour", "starch", "puree", "egg"),
    "liquid": ("liquid", "flour", "starch", "puree", "sugar", "syrup", "egg"),
    "sugars": ("sugar", "syrup", "flour"),
    "fat": ("fat",),
    "structure": ("flour", "starch", "egg", "binder"),
    "lift": ("leaven",),
    "alkali": ("leaven", "acid"),
}
LEAST, MOST, STEPS = 0.4, 2.2, 36
LEAST_LEAVEN = 0.05


@dataclass(frozen=True, slots=True)
class Measured:
    """One measure of a component against its norm: in what unit, how far off, and what that is like to eat."""

    key: str
    name: str
    unit: str
    value: float
    low: float
    high: float
    level: Level
    words: str


@dataclass(frozen=True, slots=True)
class Mend:
    """The smallest change of one line that brings a measure back: amounts [g], how to measure it, and what it does."""

    component: str
    ingredient: str
    name: str
    before_g: float
    after_g: float
    household_before: str
    household: str
    words: str


@dataclass(frozen=True, slots=True)
class Checked:
    """One component judged by itself; ``base`` is what the nearest pattern stands on, ``pattern`` its name."""

    component: str
    family: str
    family_name: str
    confidence: float
    is_sure: bool
    candidates: tuple[Family, ...]
    base: str
    pattern: str
    measures: tuple[Measured, ...]
    warnings: tuple[str, ...]
    mends: tuple[Mend, ...]
    words: str

    @property
    def is_in_balance(self) -> bool:
        """Whether nothing lies off its norm and nothing is warned of."""
        return not self.warnings and all(m.level == "fine" for m in self.measures)


def check(
    formula: Formula, families_said: Mapping[str, str] | None = None, cup: CupStandard | None = None
) -> tuple[Checked, ...]:
    """Return each component of a recipe judged by itself.

    Parameters
    ----------
    formula
        Weighed lines [g]; also a recipe without sugar, or one that was reworked by hand.
    families_said
        The family of a component where the baker has said it, by its name.
    cup
        The cup standard that amounts are told in; US by default.

    References
    ----------
    patterns.csv, norm_words.csv
    """
    said = families_said or {}
    return tuple(_checked(formula, name, said.get(name), cup or cup_standard("us")) for name in formula.components)


def _checked(formula: Formula, component: str, said: str | None, cup: CupStandard) -> Checked:
    part = formula.only(component)
    nature = nature_of(formula, component)
    family = families()[said] if said else nature.family
    lines = as_mixed(part.lines, family)
    pattern = nearest(family.key, lines)
    found = norms(family.key)
    measured = tuple(_measured(absolutes(measure(lines)), found, family))
    warnings = tuple(_warnings(formula, part, lines, family))
    mends = tuple(_mends(lines, found, measured, formula, cup))
    return Checked(
        component=component,
        family=family.key,
        family_name=family.name,
        confidence=1.0 if said else nature.confidence,
        is_sure=bool(said) or nature.is_sure,
        candidates=nature.candidates,
        base=pattern.base if pattern else "",
        pattern=pattern.name if pattern else "",
        measures=measured,
        warnings=warnings,
        mends=mends,
        words=_verdict(family, measured, warnings),
    )


# What only matters where an oven makes it rise.
BAKED_ONLY = ("lift", "alkali")
# What is boiled off where sugar is boiled to a stage.
BOILED_OFF = ("water", "liquid")


def _measured(held: Mapping[str, float], found: Mapping[str, Norm], family: Family) -> Iterator[Measured]:
    for key, norm in found.items():
        is_moot = (key in BAKED_ONLY and not family.is_baked) or (key in BOILED_OFF and "boiled" in family.traits)
        if key not in held or is_moot:
            continue
        reach = norm.reach(held[key])
        level: Level = "fine" if not reach else "far" if abs(reach) > FAR else "off"
        words = "as is usual" if not reach else norm.measure.more if reach > 0 else norm.measure.less
        yield Measured(key, norm.measure.name, norm.measure.unit, held[key], norm.low, norm.high, level, words)


def _warnings(formula: Formula, part: Formula, lines: Sequence[FormulaLine], family: Family) -> Iterator[str]:
    """Give what goes wrong whatever the norms say: soda without acid, fruit past what a batter takes, what the gut minds."""
    held = measure(lines)
    mass = held["mass"] or 1.0
    for kind, name in CAPS.items():
        share = sum(line.grams for line in lines if line.ingredient.has_role(kind) and not line.is_inclusion) / mass
        limit = max(family.caps[kind], _most_in_patterns(family, kind))
        if family.is_baked and kind in ("puree", "paste") and limit and share > limit + ROOM:
            yield f"{name.capitalize()} comes to {100 * share:.0f} % of the mix; this kind takes about {100 * limit:.0f} %: it may stay gummy in the middle."
    if {"unheated", "unheated_starch"} & family.traits and (
        raw := [
            x
            for x in lines
            if "raw" in x.ingredient.tags
            and x.ingredient.has_role("flour", "starch")
            and x.ingredient.key != "rolled_oats"
        ]
    ):
        yield f"{raw[0].ingredient.name} stays raw here, and raw flour is not to be eaten: toast or cook it first."
    erythritol = sum(x.ingredient.per_100g.erythritol_g * x.grams for x in lines) / 100
    if not is_ground(family, lines) and erythritol > MOST_DISSOLVED * held["water"] + 1:
        yield f"{grams_text(erythritol)} of erythritol is more than the water here dissolves: it turns gritty and cool."
    sitting = sum(sitting_share(x.ingredient.per_100g) * x.grams for x in formula.lines) / formula.helpings
    if sitting > 1 and part.component_is_heaviest_of(formula):
        yield f"A portion holds {sitting:.1f} times what many stomachs bear of sugar alcohols and fibres in one sitting."


def _most_in_patterns(family: Family, kind: str) -> float:
    """Return the largest share of a kind of fruit in the family's patterns."""
    held = [[(shipped_pantry()[key], grams) for key, grams in p.grams] for p in patterns() if p.family == family.key]
    return max((sum(g for food, g in one if food.has_role(kind)) / sum(g for _, g in one) for one in held), default=0.0)


# How far past its cap fruit may go before it is worth a warning [share].
ROOM = 0.02


def _mends(
    lines: Sequence[FormulaLine],
    found: Mapping[str, Norm],
    measured: Iterable[Measured],
    formula: Formula,
    cup: CupStandard,
) -> Iterator[Mend]:
    """Give for each measure that is off the smallest change of one line that brings it back and puts nothing else out.

    Of two that change one line the same way the further one does for both.
    """
    changes: dict[int, tuple[float, list[Measured]]] = {}
    for one in measured:
        if one.level == "fine" or one.key not in found:
            continue
        best = min(_tries(lines, found, one.key), key=lambda t: t[0], default=None)
        if best is None:
            continue
        _, n, grams = best
        before = lines[n].grams
        there, mended = changes.get(n, (before, []))
        if (there - before) * (grams - before) < 0:
            continue
        further = max(there, grams, key=lambda g: abs(g - before))
        changes[n] = further, [*mended, one]
    for n, (grams, mended) in changes.items():
        yield _mend(lines, n, grams, mended, formula, cup)


def _mend(
    lines: Sequence[FormulaLine], n: int, grams: float, mended: Sequence[Measured], formula: Formula, cup: CupStandard
) -> Mend:
    line = lines[n]
    text, told_g = told_amount(formula, line, grams, cup)
    was = told_amount(formula, line, line.grams, cup)[0]
    after = absolutes(measure([*lines[:n], line.at(told_g), *lines[n + 1 :]]))
    words = "; ".join(
        f"{one.name.lower()} {_told(one.value)} before, {_told(after.get(one.key, 0.0))} after ({one.unit})"
        for one in mended
    )
    return Mend(line.component, line.ingredient.key, line.ingredient.name, line.grams, told_g, was, text, words)


def _told(value: float) -> str:
    text = f"{value:.0f}" if abs(value) >= 10 else f"{value:.1f}" if abs(value) >= 1 else f"{value:.2f}"
    return text.replace("-", "−")


def _tries(lines: Sequence[FormulaLine], found: Mapping[str, Norm], key: str) -> Iterator[tuple[float, int, float]]:
    """Give how much of the mass a change moves, the line, and its new weight [g], for each that brings *key* into its norm."""
    mass = sum(line.grams for line in lines) or 1.0
    worst = _strain(absolutes(measure(lines)), found, key)
    for n, line in enumerate(lines):
        if line.grams <= 0 or line.is_inclusion or not line.ingredient.has_role(*MENDED[key]):
            continue
        for step in range(1, STEPS + 1):
            for sign in (1, -1):
                least = LEAST_LEAVEN if key in BAKED_ONLY else LEAST
                share = 1 + sign * step * (MOST - 1 if sign > 0 else 1 - least) / STEPS
                trial = absolutes(measure([*lines[:n], line.at(share * line.grams), *lines[n + 1 :]]))
                if key in trial and not found[key].reach(trial[key]) and _strain(trial, found, key) <= worst + 1e-9:
                    yield abs(share - 1) * line.grams / mass + 0.05 * abs(share - 1), n, share * line.grams
                    break
            else:
                continue
            break


def _strain(held: Mapping[str, float], found: Mapping[str, Norm], but: str) -> float:
    """Return how far everything *but* one measure lies outside its norm."""
    return sum(abs(norm.reach(held[key])) for key, norm in found.items() if key in held and key != but)


def _verdict(family: Family, measured: Sequence[Measured], warnings: Sequence[str]) -> str:
    """Return what the whole comes to, in short sentences without figures."""
    off = [one for one in measured if one.level != "fine"]
    if not off and not warnings:
        return f"In balance, by what is usual for this kind ({family.name})."
    return " ".join(f"{one.name}: {one.words}." for one in off) or "In balance, but for this:"
