"""One component on another base: amounts to begin from, what it is to come to, and why each line changes."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field, replace

from sun_crumb.core.balance import Family, as_mixed, families
from sun_crumb.core.balance.patterns import Pattern
from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.pantry.household import grid_of, household
from sun_crumb.core.quantities.measures import CupStandard
from sun_crumb.core.recasting.bases import Way, does_without, nearest_of, patterns_of, traits_of
from sun_crumb.core.recasting.groups import LITTLE_SOUR_G, group_of, is_nut_butter, is_nutty, is_sour

# The recipe's own richness, sweetness or moisture, against the practice it comes from, goes with it by up to the way's room; eggs, which set, by
# less where the body is another (judgement).
MOST_EGG = 1.2
# What fruit that stays, where the pattern has none, may be of the mix at most (judgement).
MOST_FRUIT = 0.28
# Below so many eggs they come by the half too (judgement).
FEW_EGGS = 2.5
# A pattern's egg of less than this share is a trifle that binds: a recipe without egg stays without (judgement).
LITTLE_EGG = 0.12
# Juice or vinegar of less than this share of a pattern is its flavour where it has no soda (judgement).
LITTLE_SOUR = 0.06
# Groups that scale with the pattern, what it stands on too: a stiff dough stays stiff. The recipe's own chocolate stays as it is.
SCALED = ("body", "fat", "egg", "wet", "sweet", "fruit")
# A group that the pattern has none of stays where the recipe has less of it than this share: a yolk in a crust (judgement).
LITTLE = 0.1
# Beside ground nuts that stay, at least this share of what a dessert stands on is the new flour.
LEAST_FLOUR = 0.3


@dataclass(frozen=True, slots=True)
class Begun:
    """One line of the component as it begins: its origin among the component's lines, None where the pattern brings it."""

    line: FormulaLine
    origin: int | None


@dataclass(slots=True)
class Begin:
    """A component on another base: its lines to begin from, what it is to come to (``ideal``), and which of the old lines are gone."""

    lines: list[Begun] = field(default_factory=list)
    ideal: list[FormulaLine] = field(default_factory=list)
    gone: list[int] = field(default_factory=list)


def begin(
    lines: tuple[FormulaLine, ...],
    family: Family,
    target: Pattern,
    way: Way,
    held: Mapping[int, float],
    cup: CupStandard,
    *,
    is_weighed: bool,
) -> Begin:
    """Return a component on a pattern, at the mass of its mix, with what the recipe keeps of its own.

    Flavours, and what lies in the crumb whole, stay to the gram. Of the other groups the recipe's own foods take the pattern's
    place where the way keeps them, richer or leaner than the pattern as the recipe is against the practice that it comes from.

    Parameters
    ----------
    lines
        The component's lines [g], as mixed.
    family
        What it is now.
    target, way
        The pattern, and how this family comes to it.
    held
        Lines that the baker has set, by index: they stay whatever their group.
    cup, is_weighed
        How the kitchen measures.
    """
    return _Beginning(lines, family, target, way, held, cup, is_weighed).made()


class _Beginning:
    def __init__(
        self,
        lines: tuple[FormulaLine, ...],
        family: Family,
        target: Pattern,
        way: Way,
        held: Mapping[int, float],
        cup: CupStandard,
        is_weighed: bool,
    ) -> None:
        self.lines, self.way, self.held, self.cup, self.is_weighed = lines, way, held, cup, is_weighed
        self.component = lines[0].component
        own = {x.ingredient.key for x in lines if x.is_inclusion}
        body = as_mixed(target.lines, families()[target.family])
        self.pattern = _grouped(
            (None, x)
            for x in body
            # In a pattern for a base that nuts and dried fruit are no part of they are an extra.
            if not x.is_inclusion or (x.ingredient.key not in own and "whole" in traits_of(way))
        )
        self.mine = _grouped((n, line) for n, line in enumerate(lines) if not line.is_inclusion and n not in held)
        self.target, self.keeps_lift = target, False
        self.ground = self._ground_nuts()
        self._by_practice(family)
        self.whole = [(n, x) for n, x in enumerate(lines) if x.is_inclusion or n in held]
        self.mass = sum(x.grams for group in self.mine.values() for _, x in group) + _grams(self.ground)
        self.egg_step = 0.5 if family.egg_step else 1.0

    def _by_practice(self, family: Family) -> None:
        """Sort what stands otherwise in a recipe than in a pattern: a little juice is flavour, the pattern's acid goes with its soda."""
        mine, pattern = self.mine, self.pattern
        for group in ("wet", "lift", "flavour"):
            for pair in list(mine.get(group, ())):
                if is_sour(pair[1].ingredient) and pair[1].grams < LITTLE_SOUR_G:
                    mine[group].remove(pair)
                    mine.setdefault("flavour", []).append(pair)
        has_soda = any(x.ingredient.key == "baking_soda" for _, x in pattern.get("lift", ()))
        whole = sum(x.grams for x in self.target.lines)
        for group in ("wet", "flavour"):
            for pair in list(pattern.get(group, ())):
                if is_sour(pair[1].ingredient) and (has_soda or pair[1].grams < LITTLE_SOUR * whole):
                    pattern[group].remove(pair)
                    pattern.setdefault("lift" if has_soda else "flavour", []).append(pair)
        if does_without(self.way, "sugar"):
            pattern.pop("sweet", None)
        sour = {x.ingredient.key for _, x in pattern.get("lift", ())}
        for pair in [one for one in mine.get("flavour", ()) if one[1].ingredient.key in sour]:
            mine["flavour"].remove(pair)
            mine.setdefault("lift", []).append(pair)
        # Spice, salt, cocoa that the recipe has not are not the dessert's idea.
        pattern.pop("flavour", None)
        if "chocolate" in pattern and (not mine.get("chocolate") or "chocolate" in self.way.keeps):
            pattern.pop("chocolate")
        self._nut_butter_is_a_taste()
        self._without_trifles()
        source = self._practice_of(family)
        crumb = [x for x in as_mixed(source.lines, families()[source.family]) if not x.is_inclusion]
        self.practice = _grouped(
            (None, x) for x in crumb if not is_sour(x.ingredient) or x.grams >= LITTLE_SOUR * whole
        )
        self.practice_g = sum(x.grams for x in crumb)

    def _practice_of(self, family: Family) -> Pattern:
        """Return the practice that the recipe comes from: the same dessert on the usual base, or the pattern itself where it is nearer to that."""
        like = dict(self.way.like).get(self.target.key)
        return nearest_of((like, self.target.key) if like else patterns_of(family), self.lines)

    def _ground_nuts(self) -> list[tuple[int | None, FormulaLine]]:
        """Take ground nuts out of the body where only the flour beside them gives way: an almond and orange loaf stays one."""
        body = self.mine.get("body", [])
        ground = [pair for pair in body if is_nutty(pair[1].ingredient)]
        is_body = any(is_nutty(x.ingredient) for _, x in self.pattern.get("body", ()))
        if "keeps_nuts" not in traits_of(self.way) or is_body or not ground or len(ground) == len(body):
            return []
        self.mine["body"] = [pair for pair in body if pair not in ground]
        return ground

    def _nut_butter_is_a_taste(self) -> None:
        """Take nut butter for a flavour where the new base is none of nuts: peanut butter cookies stay what they are called."""
        if any(is_nutty(x.ingredient) for _, x in self.pattern.get("body", ())):
            return
        body = self.mine.get("body", [])
        tasty = [pair for pair in body if is_nut_butter(pair[1].ingredient)]
        if tasty:
            self.mine["body"] = [pair for pair in body if pair not in tasty]
            self.mine.setdefault("flavour", []).extend(tasty)

    def _without_trifles(self) -> None:
        """Take out of the pattern what this recipe does without: an egg in a snap or a shortbread, leaven of its own where it has leaven."""
        mine, pattern = self.mine, self.pattern
        if not mine.get("egg") and _grams(pattern.get("egg", ())) < LITTLE_EGG * sum(
            x.grams for x in self.target.lines
        ):
            pattern.pop("egg", None)
        rises_by_flour = any(x.ingredient.has_role("leaven") for _, x in mine.get("body", ()))
        if mine.get("lift") and "lift" in self.way.keeps and "lift" in pattern and not rises_by_flour:
            pattern.pop("lift")
            self.keeps_lift = True

    def made(self) -> Begin:
        """Return the component."""
        found = Begin()
        kept = self._kept()
        room = self.mass - sum(x.grams for _, x in kept)
        goal = {group: _grams(pairs) * self._own(group) for group, pairs in self.pattern.items()}
        scale = room / (sum(goal.values()) or 1.0)
        goal = self._no_sweeter({group: grams * scale for group, grams in goal.items()})
        if self.ground and "body" in goal:
            # They are part of what the dessert stands on.
            goal["body"] = max(goal["body"] - _grams(self.ground), LEAST_FLOUR * goal["body"])
            kept += self.ground
        found.ideal = [x for _, x in (*kept, *self.whole)]
        for group, grams in goal.items():
            found.ideal += [x for _, x in self._of(group, grams)]
        start = self._start(goal)
        for group, grams in start.items():
            found.lines += [Begun(self._measured(x, n), n) for n, x in self._of(group, grams) if x.grams > 0]
        found.lines += [Begun(x, n) for n, x in kept]
        found.lines += [Begun(x, n) for n, x in self._fruit()]
        found.lines += [Begun(x.at(self.held.get(n, x.grams)), n) for n, x in self.whole]
        found.lines = [one for one in found.lines if one.line.grams > 0 or one.origin in self.held]
        there = {one.origin for one in found.lines}
        found.gone = [n for n in range(len(self.lines)) if n not in there]
        return found

    def _no_sweeter(self, goal: dict[str, float]) -> dict[str, float]:
        """Return the groups with no more sugar than the recipe has: the rest fills its place."""
        sweet = _grams(self.mine.get("sweet", ()))
        over = goal.get("sweet", 0.0) - sweet
        if "sweet" not in self.way.keeps or not sweet or over <= 0:
            return goal
        rest = sum(goal.values()) - goal["sweet"]
        return {group: sweet if group == "sweet" else grams * (1 + over / rest) for group, grams in goal.items()}

    def _kept(self) -> list[tuple[int | None, FormulaLine]]:
        """Return what stays to the gram: flavours, and the recipe's own chocolate where the way keeps it."""
        stays = list(self.mine.get("flavour", ()))
        if self.keeps_lift:
            stays += self.mine["lift"]
        for group in ("egg", "wet", "fat"):
            there = self.mine.get(group, [])
            if group in self.way.keeps and group not in self.pattern and _grams(there) < LITTLE * self.mass:
                stays += there
        if "chocolate" in self.way.keeps:
            stays += self.mine.get("chocolate", ())
        return stays

    def _own(self, group: str) -> float:
        """Return how much more of a group the recipe has than the practice that it comes from, as far as that goes with it."""
        mine, practice = _grams(self.mine.get(group, ())), _grams(self.practice.get(group, ()))
        mine += _grams(self.ground) if group == "body" else 0.0
        if group not in SCALED or (group not in self.way.keeps and group != "body") or not mine or not practice:
            return 1.0
        room = self.way.room
        most = min(room, MOST_EGG) if group == "egg" and "lift" not in self.way.keeps else room
        return min(max((mine / self.mass) / (practice / self.practice_g), 1 / room), most)

    def _fruit(self) -> list[tuple[int | None, FormulaLine]]:
        """Return the recipe's own fruit where the pattern has none."""
        fruit = self.mine.get("fruit", [])
        if "fruit" in self.pattern or "fruit" not in self.way.keeps or not fruit:
            return []
        share = min(1.0, MOST_FRUIT * self.mass / _grams(fruit))
        return [(n, self._measured(x.at(x.grams * share), n)) for n, x in fruit]

    def _start(self, goal: Mapping[str, float]) -> dict[str, float]:
        """Return the grams of each group to begin with: less liquid where fruit that stays brings it."""
        start = dict(goal)
        fruit = self._fruit()
        brought = _grams(fruit)
        if "wet" in start:
            water = sum(x.grams * x.ingredient.per_100g.water_g / 100 for _, x in fruit)
            start["wet"] = max(start["wet"] - water, 0.0)
        fixed = start.get("sweet", 0.0) + start.get("wet", 0.0)
        rest = sum(g for group, g in start.items() if group not in ("sweet", "wet"))
        room = sum(goal.values()) - brought - fixed
        factor = max(room / rest, 0.5) if rest else 1.0
        return {group: g if group in ("sweet", "wet") else g * factor for group, g in start.items()}

    def _of(self, group: str, grams: float) -> list[tuple[int | None, FormulaLine]]:
        """Return *grams* of a group: in the recipe's own foods where the way keeps them, else in the pattern's."""
        own = self.mine.get(group, [])
        if group == "wet" and own and group in self.way.keeps:
            return self._wet(own, grams)
        pairs = own if own and group in self.way.keeps else self._as_there(self.pattern[group])
        whole = _grams(self.pattern[group]) if pairs is not own else _grams(own)
        return (
            [(n, replace(x, grams=x.grams * grams / whole, component=self.component)) for n, x in pairs]
            if whole
            else []
        )

    def _wet(self, own: list[tuple[int | None, FormulaLine]], grams: float) -> list[tuple[int | None, FormulaLine]]:
        """Return so much liquid: what has a taste of its own, as coffee or juice, as it is, and the rest of what has none."""
        tasty = [(n, x) for n, x in own if _has_taste(x)]
        plain = [(n, x) for n, x in own if not _has_taste(x)]
        if grams <= _grams(own) * SAME_TASTE or not tasty:
            return [(n, x.at(x.grams * grams / _grams(own))) for n, x in own]
        rest = plain or self._as_there(self.pattern["wet"])
        left = max(grams - _grams(tasty), 0.0)
        return tasty + [(n, replace(x, grams=x.grams * left / _grams(rest), component=self.component)) for n, x in rest]

    def _as_there(self, pairs: Iterable[tuple[int | None, FormulaLine]]) -> list[tuple[int | None, FormulaLine]]:
        """Return a pattern's lines, as the recipe's own lines of the same food where it has one."""
        by_key = {x.ingredient.key: (n, x) for group in self.mine.values() for n, x in group}
        found = []
        for _, x in pairs:
            there = by_key.get(x.ingredient.key)
            found.append((there[0], replace(there[1], grams=x.grams)) if there else (None, x))
        return found

    def _measured(self, line: FormulaLine, origin: int | None) -> FormulaLine:
        """Return a line at an amount that the kitchen measures; as it was where it hardly moves."""
        food, grams = line.ingredient, line.grams
        each = food.measure("each") if food.group == "egg" else None
        if each:
            # Halves where there are few, whole eggs where there are more: nobody splits the sixth.
            step = each.grams * (self.egg_step if grams < FEW_EGGS * each.grams else 1.0)
        else:
            step = grid_of(
                food, max(grams, 0.01), self.cup, is_weighed=self.is_weighed, is_poured=line.is_poured or None
            )
        was = self.lines[origin].grams if origin is not None else None
        if was is not None and abs(grams - was) < max(0.75 * step, 0.005 * was):
            return self.lines[origin]  # type: ignore[index]
        at = max(round(grams / step), 1) * step if step else grams
        is_poured = line.is_poured or None  # a weight that a line tells is its own recipe's
        told = household(food, at, self.cup, is_weighed=True, is_poured=is_poured) if at > 0 else ""
        text = f"{told} {food.name}" if self.is_weighed and told else ""
        return replace(line, grams=at, text=text, is_crushed=line.is_crushed or not line.is_inclusion)


def _has_taste(line: FormulaLine) -> bool:
    food = line.ingredient
    return (
        (food.has_role("flavour", "acid") and not food.has_role("dairy"))
        or food.per_100g.alcohol_g > 0
        or "tasty" in food.traits
    )


# How much more of a liquid that is there for its taste tastes as before (judgement).
SAME_TASTE = 1.25


def _grams(pairs: Iterable[tuple[int | None, FormulaLine]]) -> float:
    return sum(x.grams for _, x in pairs)


def _grouped(pairs: Iterable[tuple[int | None, FormulaLine]]) -> dict[str, list[tuple[int | None, FormulaLine]]]:
    found: dict[str, list[tuple[int | None, FormulaLine]]] = {}
    for n, line in pairs:
        if line.grams > 0:
            found.setdefault(group_of(line.ingredient), []).append((n, line))
    return found
