"""Weighed lines in components."""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass, replace
from math import isfinite

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.formula.foams import with_foams
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.reading import Oven, Reading
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.counts import kind_of
from sun_crumb.core.reading.listed_under import stages_of

# What breaks a fruit up, so that its sugars count as free in the UK and its water as the batter's.
_CRUSHED = re.compile(
    r"\b(?:mash|pur[eé]e|blend|puree|blitz|crush|grat|melt|liqui|process|stew|cook(?!ing[ -](?:apples?|pears?|chocolate|oil|spray|fat))|ground|shred)",
    re.I,
)
# A line that begins with a weight, or a volume as a scale's kitchen tells it; or with a count of pieces.
_WEIGHT = r"(?:kg|g|gms?|gr|grm?s?|grammes?|grams?|ml|millilit\w+|l|lit(?:re|er)s?|dl|cl|oz|ounces?|lbs?|pounds?)\b"
_BY_WEIGHT = re.compile(
    rf"^\W*(?:about\s+|approx\.?\s+)?[\d½¼¾⅓⅔][\d.,/ ½¼¾⅓⅔]*\s*-?\s*{_WEIGHT}|^[^\W\d][^\d]{{1,40}}?[\s:–-]\s*\d[\d.,/–-]*\s*{_WEIGHT}|.*[+&]\s*\d[\d.,/]*\s*{_WEIGHT}",
    re.I,
)
# A spoonful is a spoonful in every kitchen, a scale's too.
_BY_SPOON = re.compile(
    r"^\W*\S{1,8}\s*(?:level |heaped )?(?:tbsps?|tbs|tsps?|(?:table|tea|dessert)?spoons?(?:fuls?)?)\b\.?(?!.*\s(?:\+|&|plus|and)\s+\d)|^\W*[\d½¼¾⅓⅔][\d./ ½¼¾⅓⅔-]{0,6}t\b\.?(?!.*\s(?:\+|&|plus|and)\s+\d)|^[^\W\d][^\d]{1,40}?[\s:–-]\s*[\d½¼¾⅓⅔][\d./½¼¾⅓⅔]{0,4}\s*(?:level |heaped )?(?:tbsps?|tbs|tsps?|(?:table|tea|dessert)spoons?)\b",
    re.I,
)
# "half a pound of flour", "six ounces sugar"
_IN_WORDS = re.compile(
    r"^\W*(?:about\s+)?(?:half|quarter|three[- ]quarters|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\b.{0,14}?\b(?:pounds?|ounces?|oz|lbs?|grams?|kilos?)\b",
    re.I,
)
_IN_GRAMS = re.compile(r"\d\s*(?:g|kg)\b", re.I)
# "Sugar - 3/4 cup", in a list of grams.
_BY_CUP = re.compile(
    r"^\W*[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]{0,5}\s*cups?\b(?![^,]*\d\s*(?:g|ml)\b)|^[^\W\d][^\d]{1,30}?[\s:–-]\s*[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]{0,5}\s*cups?\b(?![^,]*\d\s*(?:g|ml)\b)",
    re.I,
)
_BY_MILLILITRES = re.compile(
    r"^\W*(?:about\s+|approx\.?\s+)?\d[\d.,]*\s*(?:ml|millilit\w+|cl|dl|l|lit(?:re|er)s?)\b|^[^\W\d][^\d]{1,40}?[\s:–-]\s*\d[\d.,]*\s*(?:ml|cl|dl|l|lit(?:re|er)s?)\b",
    re.I,
)
# "180 flour", in a list of grams: no fewer [g] (judgement).
_BARE_NUMBER = re.compile(r"^\W*(\d{2,4})\s+[a-z]", re.I)
LEAST_BARE_G = 20
# "juice of 2 lemons", "1 lime, juiced"
_OF_A_FRUIT = re.compile(r"^\W*(?:(?:the|finely|grated)\s+)*(?:juice|zest|rind)\b|\bjuiced\b", re.I)
# "3 ripe mangoes": fruit is counted in every kitchen too.
_COUNTED = re.compile(
    r"^\W*(?:\d{1,2}|½)\s+(?!(?:cups?|c|sticks?|cans?|tins?|pints?|quarts?|packages?|pkgs?|t|handfuls?|scoops?)\b)[a-z]",
    re.I,
)
# "1 cup applesauce, to serve": eaten beside it.
_TO_SERVE = re.compile(r"[,–-]\s*(?:to serve|for serving|to accompany|on the side|alongside)\b[^,;]{0,12}$", re.I)
PORTION_GUESS_G = 80.0
MOST_SERVINGS = 1000
# Nobody eats a loaf of so much at a sitting [g] (judgement).
LEAST_SHARED_G = 300.0


@dataclass(frozen=True, slots=True)
class FormulaLine:
    """One ingredient [g] in one component.

    ``is_crushed`` when it is mashed, grated, melted or ground into the mix; ``is_body`` when the fruit is the thing
    itself, as in a filling, and not pieces in a crumb; ``stage`` the one of a mixture that it is listed under, "wet" or "dry";
    ``is_foam`` when it is the sugar that whites are whisked with, in one list with other sugar.
    """

    ingredient: Ingredient
    grams: float
    component: str = ""
    is_crushed: bool = False
    text: str = ""
    is_body: bool = False
    stage: str = ""
    is_foam: bool = False

    def __post_init__(self) -> None:
        if not isfinite(self.grams) or self.grams < 0 or self.grams > 100_000:
            raise OutOfDomainError(
                f"{self.ingredient.name}: {self.grams} g is no amount; give 0 to 100,000 g",
                field="grams",
                grams=self.grams,
            )

    def at(self, grams: float) -> FormulaLine:
        """Return the line at another weight [g]."""
        return replace(self, grams=grams)

    @property
    def is_spooned(self) -> bool:
        """Whether its own words tell it by the spoon ("3 tbsp milk"), as a scale's kitchen does with little."""
        return bool(_BY_SPOON.match(self.text))

    @property
    def is_poured(self) -> bool | None:
        """Whether its own words tell it by the millilitre ("80 ml maple syrup") or by the gram ("150 g cream"); None where they say neither."""
        if _BY_MILLILITRES.search(self.text):
            return True
        return False if self.is_bare_grams or _BY_WEIGHT.match(self.text) else None

    @property
    def is_bare_grams(self) -> bool:
        """Whether its own words tell its grams by the number alone: "180 flour"."""
        bare = _BARE_NUMBER.match(self.text)
        return bare is not None and float(bare[1]) >= LEAST_BARE_G and abs(float(bare[1]) - self.grams) < 0.5

    @property
    def is_by_the_fruit(self) -> bool:
        """Whether its own words tell it by the fruit that it comes from: "juice of 2 lemons"."""
        return bool(_OF_A_FRUIT.search(self.text))

    @property
    def is_beside(self) -> bool:
        """Whether it is eaten beside the dessert: "100 ml maple syrup, to serve"."""
        return bool(_TO_SERVE.search(self.text))

    @property
    def is_inclusion(self) -> bool:
        """Whether it sits in the crumb whole, or beside it, keeping its own water and sugar (berries, chips, nuts, raisins; "to serve")."""
        if self.is_beside:
            return True
        if (
            self.is_crushed
            or self.is_body
            or self.ingredient.has_role("puree", "paste", "flour", "fat", "sugar", "syrup", "binder")
        ):
            return False
        return self.ingredient.has_role("chocolate", "nut") or (
            self.ingredient.has_role("fruit") and self.ingredient.group in ("fruit", "driedfruit")
        )


@dataclass(frozen=True, slots=True)
class Formula:
    """A recipe in grams. ``servings`` is how many portions the whole makes, ``unit`` what one is called.

    ``own_yields`` says for how many portions a component is enough, where that is not the whole's number: what is made
    for more is left over, not eaten with these portions. ``oven`` and ``bake_minutes`` are as the recipe's method says, None
    where it does not; ``method`` is what it says, step by step. ``by_weight`` is whether its amounts are told by weight, None where its
    own lines say so; ``is_all_weighed`` where also what the recipe tells by the spoon is wanted so.
    ``helpings_of_whole`` is how many sittings the whole is eaten in that this is a part of, 0 where it is no part. ``asked`` are the lines of
    which it is asked still which food they mean, as the likeliest: in no total, they only help to tell what a component is.
    """

    title: str
    lines: tuple[FormulaLine, ...]
    servings: int
    unit: str = "serving"
    is_servings_assumed: bool = False
    own_yields: tuple[tuple[str, int], ...] = ()
    oven: Oven | None = None
    bake_minutes: tuple[int, int] | None = None
    method: str = ""
    by_weight: bool | None = None
    is_all_weighed: bool = False
    helpings_of_whole: int = 0
    asked: tuple[FormulaLine, ...] = ()

    def __post_init__(self) -> None:
        if not 1 <= self.servings <= MOST_SERVINGS:
            raise OutOfDomainError(
                f"a recipe makes 1 to {MOST_SERVINGS} portions, not {self.servings}",
                field="servings",
                servings=self.servings,
            )

        for component, count in self.own_yields:
            if not 1 <= count <= MOST_SERVINGS:
                raise OutOfDomainError(
                    f"{component or 'the base'} is enough for 1 to {MOST_SERVINGS} portions, not {count}",
                    field="own_yields",
                    component=component,
                )
            if component not in self.components:
                raise OutOfDomainError(f"the recipe has no component {component!r}", field="own_yields")

    def enough_for(self, component: str) -> int:
        """Return for how many portions a component is made: its own yield, else the whole's."""
        return dict(self.own_yields).get(component, self.servings)

    @property
    def helpings(self) -> int:
        """In how many sittings it is eaten: a portion each, but of a loaf or cake that is counted whole a slice each."""
        if self.helpings_of_whole:
            return self.helpings_of_whole
        is_whole = kind_of(self.unit) == "whole" and self.mass_g >= LEAST_SHARED_G * self.servings
        return max(self.servings, round(self.mass_g / PORTION_GUESS_G)) if is_whole else self.servings

    @property
    def components(self) -> tuple[str, ...]:
        """The component names in order of appearance."""
        return tuple(dict.fromkeys(line.component for line in self.lines))

    def heaviest(self, among: Iterable[str] | None = None) -> str:
        """Return the heaviest component, of all or of some: the main one, which makes the pieces and takes what must come in."""
        return max(self.components if among is None else among, key=lambda c: self.only(c).mass_g, default="")

    def component_is_heaviest_of(self, whole: Formula) -> bool:
        """Return whether this component is the main one of the *whole* recipe."""
        return bool(self.lines) and self.lines[0].component == whole.heaviest()

    @property
    def is_weighed(self) -> bool:
        """Whether most of its lines are told by weight or in millilitres, or the whole's that it is a part of: it goes on in grams."""
        if self.by_weight is not None:
            return self.by_weight
        told = [
            line
            for line in self.lines
            if (re.search(r"\d", line.text) or _IN_WORDS.match(line.text))
            and not _BY_SPOON.match(line.text)
            and not line.ingredient.has_role("flavour", "salt", "egg")
            and (line.ingredient.has_role("flour") or not line.ingredient.has_role("leaven"))
            and not (line.ingredient.has_role("acid") and line.is_by_the_fruit)
            and not (
                line.ingredient.has_role("fruit", "acid")
                and _COUNTED.match(line.text)
                and not _BY_WEIGHT.match(line.text)
            )
        ]
        if not told:
            # "same weight butter, sugar, flour" as the eggs, that are weighed
            return any(_IN_GRAMS.search(line.text) for line in self.lines)
        return sum(
            bool(_BY_WEIGHT.match(line.text) or _IN_WORDS.match(line.text)) or line.is_bare_grams for line in told
        ) > 0.5 * len(told)

    def weighs(self, line: FormulaLine) -> bool:
        """Return whether an amount of *line* is told on the scale: not what a weighed recipe itself tells by the spoon."""
        return self.is_weighed and (self.is_all_weighed or not (line.is_spooned or _BY_CUP.search(line.text)))

    @property
    def mass_g(self) -> float:
        """The whole, as it goes into the bowl."""
        return sum(line.grams for line in self.lines)

    def only(self, component: str) -> Formula:
        """Return the formula of one component."""
        return replace(
            self,
            lines=tuple(line for line in self.lines if line.component == component),
            own_yields=tuple(pair for pair in self.own_yields if pair[0] == component),
            by_weight=self.is_weighed or self.by_weight,
            helpings_of_whole=self.helpings,
        )


def is_crushed(text: str, preparation: str = "") -> bool:
    """Return whether the words of a line break its food up."""
    return bool(_CRUSHED.search(f"{text} {preparation}"))


def of_its_size(ingredient: Ingredient, text: str, grams: float) -> Ingredient:
    """Return eggs as large as a line counts them: of "2 medium eggs" each weighs what these do; any other food as it is."""
    each = ingredient.measure("each")
    amount = read_amount(text) if ingredient.group == "egg" and each is not None else None
    if each is None or amount is None or amount[0].unit is not None or amount[0].middle <= 0:
        return ingredient
    own = grams / amount[0].middle
    if not LEAST_OF_ITS_SIZE < own / each.grams < MOST_OF_ITS_SIZE or abs(own - each.grams) < 1e-6:
        return ingredient
    others = tuple(m for m in ingredient.measures if (m.unit, m.form) != ("each", ""))
    return replace(ingredient, measures=(*others, replace(each, grams=own)))


# Eggs are graded between these parts of the usual one's weight: small to extra large.
LEAST_OF_ITS_SIZE, MOST_OF_ITS_SIZE = 0.7, 1.4


# In these is measured what may weigh much; "1 double crust" is only counted.
_MEASURED = frozenset({"g", "kg", "oz", "lb", "ml", "l", "cup", "pint"})


def from_reading(reading: Reading, pantry: Pantry) -> tuple[Formula, list[int]]:
    """Return the formula of a reading, and the positions of its lines that are in no total.

    What is asked still (no food, no grams, or a doubt) stays out until it is decided. A line in conflict is in with the weight that
    is trusted more. Where nothing says how many portions it makes, their number is guessed by weight and said to be assumed.

    Parameters
    ----------
    reading
        A text as read.
    pantry
        The pantry that it was read with.

    Raises
    ------
    OutOfDomainError
        A line weighs more than 100 kg.
    """
    lines, left_out, asked = [], [], []
    for position, (line, stage) in enumerate(zip(reading.lines, stages_of(reading), strict=True)):
        if line.status in ("heading", "note"):
            continue
        if line.status not in ("ok", "conflict") or line.ingredient is None or line.grams is None:
            left_out.append(position)
            if (
                line.status == "ask"
                and line.unit in _MEASURED
                and line.ingredient
                and line.grams
                and not line.is_optional
            ):
                asked.append(FormulaLine(pantry[line.ingredient], line.grams, line.component, text=line.text))
            continue
        lines.append(
            FormulaLine(
                of_its_size(pantry[line.ingredient], line.text, line.grams),
                line.grams,
                line.component,
                is_crushed(line.text, line.preparation),
                line.text,
                stage=stage,
            )
        )
    mass = sum(line.grams for line in lines)
    told = reading.portions
    if told is not None and told.count is not None:
        servings, unit, assumed = min(told.count, MOST_SERVINGS), told.unit, told.is_assumed
    else:
        servings, unit, assumed = min(max(round(mass / PORTION_GUESS_G), 1), MOST_SERVINGS), "serving", True
    held = {line.component for line in lines}
    method = "\n".join(reading.steps)
    own = tuple((y.component, y.count) for y in reading.component_yields if y.component in held and y.count != servings)
    return Formula(
        title=reading.title,
        lines=with_foams(lines, method),
        servings=servings,
        unit=unit,
        is_servings_assumed=assumed,
        own_yields=own,
        oven=reading.oven,
        bake_minutes=reading.bake_minutes,
        method=method,
        asked=tuple(asked),
    ), left_out
