"""Where the lines of a plan go in a method: where their words are, or where their kind belongs."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field
from typing import Protocol

from sun_crumb.core.method.listed import is_for_the_end
from sun_crumb.core.method.records import MethodLine, MethodRead, MethodStep, Use
from sun_crumb.core.pantry import Ingredient

# An amount below this is gone [g].
GONE_G = 0.005


class Planned(Protocol):
    """What placing needs of a line of a plan."""

    @property
    def position(self) -> int | None: ...
    @property
    def component(self) -> str: ...
    @property
    def ingredient(self) -> Ingredient: ...
    @property
    def grams(self) -> float: ...
    @property
    def before_g(self) -> float: ...


@dataclass(slots=True)
class Placing:
    """Which lines of the plan each step uses, and which share: by step number, then by the line's position in the plan."""

    read: MethodRead
    lines: Sequence[MethodLine]
    by_step: dict[int, dict[int, float]]
    # Where a new line goes with one that is there: by step and the original's position, the plan's lines and shares.
    beside: dict[tuple[int, int], dict[int, float]] = field(default_factory=dict)
    of_line: dict[int, int] = field(default_factory=dict)

    @classmethod
    def of(cls, read: MethodRead, lines: Sequence[MethodLine]) -> Placing:
        """Return an empty placing of a method."""
        return cls(read, lines, {step.n: {} for step in read.steps})

    def put(self, n: int, line: int, share: float, beside: int | None = None) -> None:
        """Use a share of a line of the plan in step *n*, in the words of an original line where one is named."""
        held = self.by_step[n]
        held[line] = held.get(line, 0.0) + share
        if beside is not None:
            here = self.beside.setdefault((n, beside), {})
            here[line] = here.get(line, 0.0) + share

    def lines_for(self, n: int, use: Use) -> list[tuple[int, float]]:
        """Return the plan's lines, and their shares, that stand where step *n* uses an original line."""
        return list(self.beside.get((n, use.position), {}).items())

    def stays(self, position: int, plan: Sequence[Planned]) -> bool:
        """Return whether an original line is still in."""
        k = self.of_line.get(position)
        return k is not None and plan[k].grams > GONE_G

    def instead_of(self, positions: Iterable[int], plan: Sequence[Planned]) -> list[int]:
        """Return the plan's lines that stand where some original lines stood."""
        found: dict[int, None] = {}
        for (_, beside), lines in self.beside.items():
            if beside in set(positions):
                found |= dict.fromkeys(k for k in lines if plan[k].grams > GONE_G)
        return list(found)

    def is_untold(self, component: str) -> bool:
        """Return whether no step takes anything of a component, and others are told of: then it is no part of theirs."""
        told = {self.lines[use.position].component for step in self.read.steps for use in step.uses}
        return bool(told) and component not in told

    def text_of(self, n: int) -> str:
        """Return the words of step *n*."""
        return next(step.text for step in self.read.steps if step.n == n)

    def is_beside(self, position: int) -> bool:
        """Return whether every step that takes a line brushes it on, greases with it, or serves the dessert with it: "brush with egg"."""
        told = [
            (step.text, mention.start, mention.greases or (not mention.start and bool(_GREASES_WITH.match(step.text))))
            for step in self.read.steps
            for mention in step.mentions
            if any(use.position == position for use in mention.uses)
        ]
        return bool(told) and all(greases or _BRUSHES.search(text[:start]) for text, start, greases in told)

    def is_sprinkled(self, position: int) -> bool:
        """Return whether every step that takes a line strews it on: "sprinkle with sugar"."""
        told = [
            (step.text, mention.start)
            for step in self.read.steps
            for mention in step.mentions
            if any(use.position == position for use in mention.uses)
        ]
        return bool(told) and all(_STREWS.search(text[:start]) for text, start in told)

    def is_among_fruit(self, position: int) -> bool:
        """Return whether every step that takes a line takes fruit, and nothing that is creamed, whipped or kneaded: "toss the berries with the sugar"."""
        steps = [step for step in self.read.steps if any(use.position == position for use in step.uses)]
        others = [
            [food for use in step.uses if use.position != position and (food := self.lines[use.position].ingredient)]
            for step in steps
        ]
        return bool(steps) and all(
            any(food.group in _FRUIT for food in foods)
            and not any(food.has_role("fat", "flour", "egg", "dairy") or food.group == "egg" for food in foods)
            for foods in others
        )

    def steps_using(self, position: int) -> list[tuple[int, float]]:
        """Return the steps that use an original line, and the share there."""
        return [(step.n, use.share) for step in self.read.steps for use in step.uses if use.position == position]


_FRUIT = frozenset({"fruit", "morefruit"})
_WHITES = re.compile(r"\bwhites?\b", re.I)


def _is_egg(line: MethodLine) -> bool:
    return line.ingredient is not None and line.ingredient.group == "egg"


def place_unnamed(placing: Placing, plan: Sequence[Planned]) -> None:
    """Place every line that the original has: by its words, or with its like where no step names it."""
    for k, line in enumerate(plan):
        if line.position is None:
            continue
        placing.of_line[line.position] = k
        told = placing.steps_using(line.position)
        if told:
            total = sum(share for _, share in told)
            for n, share in told:
                placing.put(n, k, share / total, line.position)
        elif (
            line.grams > GONE_G
            and not placing.is_untold(line.component)
            and (step := _where(placing, line)) is not None
        ):
            placing.put(step.n, k, 1.0)


def place_new(placing: Placing, plan: Sequence[Planned]) -> None:
    """Place what comes in: with what it stands in for, or with its like."""
    for k, line in enumerate(plan):
        if line.position is not None or line.grams <= GONE_G or placing.is_untold(line.component):
            continue
        anchor = _anchor(placing, plan, line)
        told = placing.steps_using(anchor) if anchor is not None else []
        if anchor is not None and len(told) > 1 and _is_egg(placing.lines[anchor]):
            # With the yolks: whipped whites bear no paste.
            told = [one for one in told if not _WHITES.search(placing.text_of(one[0]))][:1] or told[:1]
        if (
            anchor is not None
            and len(told) > 1
            and line.ingredient.has_role("paste", "puree", "syrup")
            and not _is_sugar(placing.lines[anchor])
        ):
            # A paste goes in once, however its cream is divided: with the most of it.
            told = [max(told, key=lambda one: one[1])]
        if anchor is not None and told:
            total = sum(share for _, share in told)
            for n, share in told:
                placing.put(n, k, share / total, anchor)
        elif (step := _where(placing, line)) is not None:
            placing.put(step.n, k, 1.0)


def _anchor(placing: Placing, plan: Sequence[Planned], line: Planned) -> int | None:
    """Return the original line beside which a new one goes in."""
    own = [
        p for p in plan if p.position is not None and p.component == line.component and placing.steps_using(p.position)
    ]
    # What glazes, coats or serves is no batter that something could be stirred into.
    own = [p for p in own if not is_for_the_end(placing.lines[p.position or 0].text)] or own
    food = line.ingredient
    if (instead := _where_sugar_was(placing, own, food) or _instead(own, food)) is not None:
        return instead.position
    sugars = [p for p in own if is_crystals(p.ingredient) and not p.ingredient.has_role("chocolate")]
    sugars = sugars or [p for p in own if p.ingredient.has_role("syrup") and p.before_g > p.grams]
    # Nor is a paste stirred into the egg that is brushed on.
    own = [p for p in own if not placing.is_beside(p.position or 0)] or own
    # Whipped whites bear no paste, unless there is nothing else to stir it into.
    wet = [p for p in own if p.grams > GONE_G and _is_wet(p.ingredient) and p.ingredient.key != "egg_white"]
    wet = wet or [p for p in own if p.grams > GONE_G and p.ingredient.has_role("fat") and not _is_dry(p.ingredient)]
    wet = wet or [p for p in own if p.grams > GONE_G and _is_wet(p.ingredient)]
    wet = wet or [p for p in sugars if p.before_g > p.grams]
    wet = wet or [p for p in own if p.grams > GONE_G and p.ingredient.has_role("liquid", "puree", "syrup", "fat")]
    flours = [p for p in own if p.ingredient.has_role("flour", "starch")]
    # Where the flour is gone what is dry goes in where it went.
    dry = [p for p in flours if p.grams > GONE_G] or [p for p in flours if p.before_g > GONE_G]
    if is_crystals(food):
        order = [sugars, wet, dry, own]
    elif food.has_role("intense"):
        order = [wet, sugars, dry, own]
    elif food.has_role("syrup", "paste", "puree", "liquid", "egg", "dairy", "acid", "fat") and not _is_dry(food):
        like = [p for p in own if p.grams > GONE_G and _is_like(p.ingredient, food) and not _is_pieces(p.ingredient)]
        if food.group == "egg":
            like = [p for p in like if p.ingredient.group == "egg"] or like
        order = [like, wet, sugars, own]
    elif food.has_role("sugar", "bulk"):
        order = [sugars, wet, dry, own]
    elif _is_dry(food):
        order = [dry, sugars, wet, own]
    else:
        order = [[p for p in own if p.grams > GONE_G and _is_like(p.ingredient, food)], dry, wet, own]
    for group in order:
        if group:
            # Of several sugars it goes where most of one is gone; of the rest, where most is.
            return max(group, key=lambda p: abs(p.before_g - p.grams) if p in sugars else p.grams).position
    return None


def _where_sugar_was(placing: Placing, own: Sequence[Planned], food: Ingredient) -> Planned | None:
    """Return the sugar whose place a syrup takes: strewn on, or tossed with fruit, and gone: honey over the apples, and not under them."""
    gone = [p for p in own if is_crystals(p.ingredient) and p.grams <= GONE_G < p.before_g]
    if not food.has_role("syrup"):
        return None
    strewn = (p for p in gone if placing.is_sprinkled(p.position or 0))
    return next(strewn, None) or max(
        (p for p in gone if placing.is_among_fruit(p.position or 0)), key=lambda p: p.before_g, default=None
    )


def _instead(own: Sequence[Planned], food: Ingredient) -> Planned | None:
    """Return the line whose place a new food takes, wholly or in part; None where it takes none's."""
    gone = [p for p in own if p.grams <= GONE_G < p.before_g and _is_like(p.ingredient, food)]
    if gone:
        return max(gone, key=lambda p: (_likeness(p.ingredient, food), p.before_g))
    # Half of the condensed milk for plain: it goes in with the rest.
    return max((p for p in own if _makes_way(p, food)), key=lambda p: p.before_g - p.grams, default=None)


_STREWS = re.compile(r"\b(?:sprinkl|scatter|dust|dredg|strew)\w*\b[^.;]{0,30}$", re.I)
_GREASES_WITH = re.compile(r"\W*(?:butter|oil)\s+(?:the|an?|your)\b", re.I)
_BRUSHES = re.compile(r"\b(?:(?:brush|glaze|paint)\w*\b[^.;,]{0,30}|(?:serve|eat)\b[^.;]{0,40})$", re.I)


def _is_sugar(line: MethodLine) -> bool:
    return line.ingredient is not None and is_crystals(line.ingredient)


def _makes_way(line: Planned, food: Ingredient) -> bool:
    """Return whether something sweet that is bought gave up a good part of itself for a *food* of its own kind."""
    is_bought = line.ingredient.has_role("sugar") and not is_crystals(line.ingredient)
    return is_bought and line.ingredient.group == food.group and line.grams < MADE_WAY * line.before_g


# Less than this is left of what made way in part [share].
MADE_WAY = 0.75


def _is_wet(food: Ingredient) -> bool:
    """Return whether a food is one that syrups and pastes are stirred into: milk, cream, eggs, water, and no squeeze of lemon or fruit."""
    if food.group == "liquid":
        return food.has_role("liquid")  # wine too, sour as it is
    if food.has_role("fat", "acid") or food.group in ("fruit", "morefruit", "driedfruit"):
        return False
    return food.has_role("liquid", "egg", "dairy") or food.group in ("dairy", "plantmilk", "egg")


def _is_pieces(food: Ingredient) -> bool:
    """Return whether a fruit lies in it in pieces: no paste is stirred into berries or raisins."""
    return food.group in ("fruit", "morefruit", "driedfruit") and not food.has_role("puree", "paste")


def is_crystals(food: Ingredient) -> bool:
    """Return whether a food goes where sugar's crystals went: other sugars, and what fills and sweetens as grains."""
    c = food.per_100g
    return (
        c.water_g < 8
        and not food.has_role("flour", "starch", "fibre")
        and (food.has_role("sugar") or c.polyols_g + c.allulose_g > 50)
    )


def goes_in_line(placing: Placing, position: int, food: Ingredient) -> bool:
    """Return whether a new food is named with an original line, and not in a sentence of its own after it."""
    beside = placing.lines[position].ingredient
    if beside is None or is_crystals(food) or _is_dry(food):
        return True
    return beside.has_role("sugar", "syrup") or _is_like(beside, food) or food.has_role("intense")


def _likeness(one: Ingredient, other: Ingredient) -> int:
    return 2 * (one.group == other.group) + len(one.roles & other.roles) + 3 * _binds_for_egg(one, other)


def _binds_for_egg(one: Ingredient, other: Ingredient) -> bool:
    return one.group == "egg" and other.has_role("binder")


def _is_like(one: Ingredient, other: Ingredient) -> bool:
    if _binds_for_egg(one, other):
        return True
    for role in ("egg", "chocolate", "nut", "flour", "starch", "leaven", "fat", "liquid", "puree", "paste", "syrup"):
        if one.has_role(role) and other.has_role(role):
            return True
    return one.group == other.group and one.group != "flavour"


def _is_dry(food: Ingredient) -> bool:
    return (food.per_100g.water_g < 15 and not food.has_role("syrup", "paste", "fat", "egg")) or food.has_role(
        "flour", "starch", "leaven", "fibre"
    )


def _where(placing: Placing, line: Planned) -> MethodStep | None:
    """Return the step where an unnamed line goes in: with most of its like, else where most of its component does."""
    component = [s for s in placing.read.steps if s.uses and s.component == line.component]
    steps = (
        component
        or [s for s in placing.read.steps if s.uses]
        or [s for s in placing.read.steps if s.temperature_c is None or s.wait is not None]
    )
    if not steps:
        return placing.read.steps[0] if placing.read.steps else None
    is_dry = _is_dry(line.ingredient) or line.ingredient.has_role("flavour", "salt", "leaven")

    def fits(step: MethodStep) -> float:
        held = [placing.lines[use.position] for use in step.uses]
        foods = [(x.ingredient, x.grams or 1.0) for x in held if x.ingredient is not None]
        return sum(
            grams for food, grams in foods if _is_dry(food) == is_dry and not food.has_role("sugar")
        ) + 0.001 * sum(g for _, g in foods)

    return max(steps, key=fits)
