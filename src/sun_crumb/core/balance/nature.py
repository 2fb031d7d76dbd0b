"""Which family a component is of: by its names, what one portion is called, what the method does, and the nearest pattern."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import cache, lru_cache
from math import exp
from typing import Literal

from sun_crumb.core.balance.families import Family, families
from sun_crumb.core.balance.makeup import makeup
from sun_crumb.core.balance.patterns import distances, told_together
from sun_crumb.core.formula.recipe import Formula, FormulaLine
from sun_crumb.core.reference import constant, table

Where = Literal["name", "heading", "portion", "method", "texture"]


# A family less likely than this is not offered [1] (judgement).
WORTH_ASKING = 0.05


@dataclass(frozen=True, slots=True)
class Nature:
    """The family of a component, how likely it is (0 to 1), and the families that it may be, the likeliest first."""

    family: Family
    confidence: float
    ranked: tuple[tuple[str, float], ...]

    @property
    def candidates(self) -> tuple[Family, ...]:
        """The families that are worth asking about, the likeliest first."""
        return tuple(families()[key] for key, share in self.ranked if share >= WORTH_ASKING)

    @property
    def is_sure(self) -> bool:
        """Whether nobody need be asked."""
        return self.confidence >= constant("family_sure")


@dataclass(frozen=True, slots=True)
class _Sign:
    """Words that speak for families, and how loudly for each."""

    where: Where
    words: tuple[str, ...]
    scores: tuple[tuple[str, float], ...]


@cache
def _signs() -> dict[str, tuple[_Sign, ...]]:
    found: dict[str, list[_Sign]] = {}
    for row in table("family_signs"):
        scores = tuple((key, float(score)) for key, score in (part.split(":") for part in row["scores"].split()))
        where: Where = row["where"]  # type: ignore[assignment]
        found.setdefault(where, []).append(_Sign(where, tuple(row["words"].split(";")), scores))
    return {where: tuple(signs) for where, signs in found.items()}


@cache
def _phrases(*kinds: str) -> tuple[tuple[str, re.Pattern[str], _Sign], ...]:
    """Return the phrases of signs, the longest first, singular or plural."""
    pairs = [(phrase, sign) for kind in kinds for sign in _signs().get(kind, ()) for phrase in sign.words]
    pairs.sort(key=lambda pair: -len(pair[0]))
    return tuple((phrase, re.compile(rf"(?<!\w){_in_any_number(phrase)}(?!\w)"), sign) for phrase, sign in pairs)


def _in_any_number(phrase: str) -> str:
    """Return the pattern of a phrase, singular or plural: "lolly" and "lollies"."""
    return (
        rf"{re.escape(phrase[:-1])}(?:y|ies)" if re.search(r"[^aeiou]y$", phrase) else rf"{re.escape(phrase)}(?:e?s)?"
    )


def _said(text: str, *kinds: str) -> dict[str, float]:
    """Return what a name says for each family: a longer phrase takes its words from the shorter, and the last word weighs most."""
    found: dict[str, float] = {}
    left = _COMPOUND.sub(_in_two, re.sub(r"[^\w\s'-]", " ", text.lower()))
    end = len(left.rstrip())
    # "Ginger nut topping" is made of no ginger nuts.
    beside = INSIDE_OF_A_PART if _A_PART.search(left) else INSIDE
    for phrase, pattern, sign in _phrases(*kinds):
        if phrase not in left:
            continue
        for match in pattern.finditer(left):
            # "Ginger snap cheesecake" is a cheesecake.
            weight = 1.0 if match.end() >= end - 1 else beside
            for family, score in sign.scores:
                found[family] = max(found.get(family, 0.0), weight * score)
        left = pattern.sub(lambda m: "_" * len(m[0]), left)
    return found


def _in_two(word: re.Match[str]) -> str:
    """Return a name that two are written in as both, where it is none that a sign knows: "marzipan schnitten", but "käsekuchen"."""
    is_known = any(pattern.search(word[0]) for _, pattern, _ in _phrases("name"))
    return word[0] if is_known else f"{word['of']} {word['kind']}"


# "Marzipanschnitten", "Æblekage"
_COMPOUND = re.compile(r"\b(?P<of>[^\W\d_]{3,})(?P<kind>kuchen|torte|schnitten?|kekse|kage|kaka|taart)\b")
_A_PART = re.compile(r"\b(?:topping|filling|layer|sauce|icing|frosting|glaze)s?\s*$")
INSIDE_OF_A_PART = 0.3
# What a name in the midst of others counts for, and a title for a part of the dessert that has a heading of its own.
INSIDE, TITLE_OF_A_PART, TITLE_BESIDE_A_HEADING = 0.6, 0.1, 0.7
# How loudly the nearest pattern speaks, and how far is far [share].
PATTERN, FAR = 4.5, 0.30
# How much better the best must be to be taken without asking.
SPREAD = 1.1


@lru_cache(maxsize=256)
def nature_of(formula: Formula, component: str) -> Nature:
    """Return the family of one component of a recipe.

    Parameters
    ----------
    formula
        The whole recipe: its title, what a portion is called, what its method says.
    component
        The component's name, empty for the base.

    References
    ----------
    family_signs.csv, patterns.csv, families.csv (``fits``)
    """
    lines = [line for line in (*formula.lines, *formula.asked) if line.component == component]
    # "1 egg, beaten, to glaze": what is brushed on tells nothing of what is under it.
    lines = [line for line in lines if not _BRUSHED_ON.search(line.text)] or lines
    is_main = component == formula.heaviest()
    shares = makeup(lines)
    if is_main and shares["grain"] > OF_RISEN and not shares["leaven"] and _is_yeast_in(formula):
        shares["yeast"] = 1.0  # its yeast is in the poolish that goes into it
    is_alone = len(formula.components) == 1
    score = dict.fromkeys(families(), 0.0)
    named = _named(component, formula.title)
    # Where nothing has a heading the title is one: "mince pie filling".
    kinds = ("name", "heading") if is_alone and not component else ("name",)
    asides = (_name_of(formula.title), _aside_of(formula.title), formula.title)
    titled = next((said for name in asides if (said := _said(name, *kinds))), {})
    title_weight = TITLE_BESIDE_A_HEADING if named and is_main else 1.0 if is_main or not component else TITLE_OF_A_PART
    portion = _said(formula.unit, "portion") if is_main else {}
    texture = _textured(formula.title) if is_main else {}
    method = _done(formula, component, is_alone=is_alone)
    # Whole fruit and nuts in a crumb are not what tells its kind; in a filling they are.
    without = [line for line in lines if not line.is_inclusion]
    is_most = sum(line.grams for line in without) > A_CRUMB * sum(line.grams for line in lines)
    crumb = {**makeup(without), "yeast": shares["yeast"]}
    if not is_most and crumb["grain"] < OF_A_DOUGH:
        crumb = shares
    beside_fruit = _beside_fruit(shares)
    cream = sum(line.grams for line in lines if line.ingredient.per_100g.fat_g > FAT_OF_CREAM)
    is_cream = len(formula.components) > 1 and cream > A_CRUMB * (1 - shares["fruit"]) * sum(x.grams for x in lines)
    is_whipped = is_cream and _is_whipped(beside_fruit, formula)
    # Cream that is whipped and piled on bananas is judged without them.
    apart = distances(beside_fruit) if is_whipped else distances(crumb) if crumb != shares else {}
    for key, far in distances(shares).items():
        far = min(far, apart.get(key, far))
        score[key] += PATTERN * max(1 - far / FAR, -1.0)
        score[key] += named.get(key, 0.0) + title_weight * titled.get(key, 0.0)
        score[key] += portion.get(key, 0.0) + method.get(key, 0.0) + texture.get(key, 0.0)
    if is_main:
        _by_heat(score, formula)
    else:
        _by_what_is_told(score, formula)
    if is_whipped:
        score["whipped_cream"] += WHIPPED
    _by_what_is_bought(score, lines, shares, formula)
    if shares["sugar"] + shares["syrup"] > OF_CANDY and CANDY_STAGE.search(formula.method):
        # What is boiled to a stage that a thermometer tells sets by its sugar, whatever it is called.
        for key in score:
            score[key] -= 0.0 if families()[key].is_among(_SET_BY_SUGAR) else NO_CANDY
    # A yeast cake under its apples, a crumble in one list with its rhubarb, a pavlova under its peaches: what they lie on tells what it can be.
    made_of = (shares, crumb) if crumb["grain"] > OF_A_DOUGH or crumb["white"] > OF_WHITES else (shares,)
    made_of = (*made_of, beside_fruit) if is_whipped else made_of
    if _is_jam(lines):
        # "100 g raspberry jam" between two biscuits
        score["fruit"] += A_CASE
        made_of = (*made_of, {**shares, "fruit": 1.0})
    together = told_together(shares)
    possible = {
        key: v
        for key, v in score.items()
        if key in together or any(is_possible(families()[key], one) for one in made_of)
    } or score
    best = max(possible.values())
    weights = {key: exp((value - best) / SPREAD) for key, value in possible.items()}
    whole = sum(weights.values())
    ranked = tuple(sorted(((key, weight / whole) for key, weight in weights.items()), key=lambda pair: -pair[1]))
    return Nature(families()[ranked[0][0]], ranked[0][1], ranked[:MOST_NAMED])


def _by_what_is_bought(
    score: dict[str, float], lines: Sequence[FormulaLine], shares: Mapping[str, float], formula: Formula
) -> None:
    """Raise what a part of bought pastry, biscuits or chocolate is, and lower what it takes a dough for."""
    bought = sum(line.grams for line in lines if line.ingredient.key.endswith("_pastry"))
    score["pie_crust"] += A_CASE if bought > ALL_BOUGHT * sum(line.grams for line in lines) else 0.0
    if not _is_yeast_in(formula):
        score["bun_filling"] -= NO_DOUGH  # butter and sugar is rolled into a dough, or is none such
    if shares["ready"] > OF_CRUMBS and not bought:
        # "30 chocolate cookies, 60 g butter": a crust of crumbs, whatever is filled in.
        score["crumb_crust"] += CRUMBS
    if shares["jelly"] > OF_GELATINE and shares["sugar"] + shares["syrup"] < OF_CANDY:
        score["set_cream"] += JELLY  # juice or cream that gelatine sets
    score["ganache"] += A_CASE if shares["chocolate"] > ALL_BOUGHT and len(formula.components) > 1 else 0.0


def _by_what_is_told(score: dict[str, float], formula: Formula) -> None:
    """Lower what a part beside the main one can't be: frozen or boiled where a method speaks of neither."""
    is_cold = formula.method and not _FREEZES.search(f"{formula.title} {formula.method}")
    is_unboiled = formula.method and not _BOILS.search(formula.method)
    for family in families().values():
        # "1/2 cup yoghurt, 1 tbsp maple syrup" on a baked pudding is not frozen; brown sugar and pecans strewn on a cake are no brittle.
        is_untold = (is_cold and "frozen" in family.kin) or (is_unboiled and "boiled" in family.traits)
        score[family.key] -= OVEN if is_untold else 0.0


def _is_jam(lines: Sequence[FormulaLine]) -> bool:
    """Return whether a part is jam and little else."""
    jam = sum(line.grams for line in lines if line.ingredient.has_role("fruit") and line.ingredient.has_role("syrup"))
    return jam > OF_JAM * sum(line.grams for line in lines)


def _is_yeast_in(formula: Formula) -> bool:
    return any(line.ingredient.key.endswith("yeast") for line in formula.lines)


# So much flour and grain beside its egg, milk and butter rises with a yeast that is mixed apart [share of its mass] (judgement).
OF_RISEN = 0.3


def _beside_fruit(shares: Mapping[str, float]) -> dict[str, float]:
    """Return the shares of what there is beside the fruit."""
    rest = max(1.0 - shares["fruit"], LEAST_BESIDE)
    return {key: 0.0 if key == "fruit" else share / rest for key, share in shares.items()}


def _is_whipped(shares: Mapping[str, float], formula: Formula) -> bool:
    """Return whether a part is cream, perhaps sweetened, beside its fruit, and the method whips it."""
    is_cream = shares["dairy"] > OF_CREAM and shares["dairy"] + shares["sugar"] + shares["syrup"] > ALL_OF_CREAM
    return is_cream and "whip" in formula.method.lower()


# What is cream and no more than sugar beside its fruit [share of the mass without that]; how loudly whipping speaks then [score] (judgement).
OF_CREAM, ALL_OF_CREAM, WHIPPED, LEAST_BESIDE = 0.7, 0.93, 5.0, 0.1
# What whips has more fat than this [g in 100 g] (common practice).
FAT_OF_CREAM = 25.0
MOST_NAMED = 4
# What speaks against a filling of buns where nothing rises with yeast [score] (judgement).
NO_DOUGH = 1.5
# A part that is so much bought biscuits [share of its mass]; how loudly that speaks [score] (judgement).
OF_CRUMBS, CRUMBS = 0.6, 3.0
# So much gelatine sets what it is in [share of its mass]; how loudly that speaks [score] (judgement).
OF_GELATINE, JELLY = 0.004, 3.0
# A part that is so much jam [share of its mass] is a filling of fruit (judgement).
OF_JAM = 0.6
# A part that is bought pastry, or chocolate, and hardly more [share of its mass] is a case; how loudly that speaks [score] (judgement).
ALL_BOUGHT, A_CASE = 0.85, 9.0
# So much sugar that is boiled so far sets by it [share of its mass]; what speaks against all else then [score] (judgement).
OF_CANDY, NO_CANDY = 0.3, 7.0
_SET_BY_SUGAR = ("caramel", "candied", "meringue", "frosting")
CANDY_STAGE = re.compile(
    r"\b(?:boil|syrup|cook|heat|melt|thermometer|reach)\w*\b(?![^.;]*\b(?:oven|bake)\b)[^.;]{0,80}?\b(?:(?:10[4-6]|11[2-9]|1[2-5]\d)\s*(?:°|º)?\s*C|(?:23[4-9]|2[4-9]\d|30\d|31\d)\s*(?:°|º)?\s*F)\b|\b(?:soft|firm|hard)[- ](?:ball|crack)\b|\bsetting point\b|\bwrinkle\w*\b",
    re.I,
)
# So much flour or grain in what is no whole fruit or nut makes a dough or a crumb of it [share of its mass] (judgement).
OF_A_DOUGH = 0.15
# A crumb around its fruit and nuts is so much of the mass at least: cream poured on twice its chocolate is none [share] (judgement).
A_CRUMB = 0.4
# And so much egg white a meringue [share] (judgement).
OF_WHITES = 0.12
# Headings that say little without the title before them: "topping" of a cobbler, "filling" of a pecan pie.
_OF_THE_TITLE = re.compile(r"^(?:the )?(?:topping|filling|crust|base|layer|dough|batter|middle|pastry|top)s?$", re.I)
BEFORE_A_HEADING = 0.8


def _named(component: str, title: str) -> dict[str, float]:
    """Return what a component's heading says for each family, where it says little together with the title."""
    if not component:
        return {}
    found = _said(component, "name", "heading")
    if _OF_THE_TITLE.match(component):
        for key, score in _said(f"{_name_of(title)} {component}", "name", "heading").items():
            found[key] = max(found.get(key, 0.0), BEFORE_A_HEADING * score)
    return found


def _textured(title: str) -> dict[str, float]:
    """Return what a title says of how it is to eat, against the families that it is then none of: a chewy cookie is no snap."""
    words = set(re.findall(r"[\w-]+", title.lower()))
    return {family: score for sign in _signs()["texture"] if words & set(sign.words) for family, score in sign.scores}


def _name_of(title: str) -> str:
    """Return a title without what it is served with or stands beside: "ginger cake with lemon icing" is a cake."""
    return (
        re.split(
            r"\bwith\b|\bfor\b(?!\s+(?:one|two|\d))|\bw/|(?<!\w)\(|\s[–—-]\s|:|\bserved\b|\btopped\b|,\s+(?=(?:the|an?|my|our|nothing|from|not)\b)",
            title,
            maxsplit=1,
        )[0]
        or title
    )


def _aside_of(title: str) -> str:
    """Return what the brackets of a title call the dessert: "Aunt Wyn's brack (tea loaf)"; nothing where they tell what is with it."""
    aside = re.search(r"\((?!(?:with|for|from|and|no|not|without|w/)\b)([^()\d]+)\)", title, re.I)
    return aside[1] if aside else ""


def _done(formula: Formula, component: str, *, is_alone: bool) -> dict[str, float]:
    """Return what the method says for each family: its sentences on this component, or all of them at less."""
    if not formula.method:
        return {}
    sentences = re.split(r"(?<=[.!?;])\s+|\n", formula.method.lower())
    words = [w for w in re.findall(r"[a-z]{4,}", component.lower()) if w not in ("the", "with", "layer")]
    mine = [s for s in sentences if any(w in s for w in words)] if words else []
    weight = 1.0 if is_alone or mine else 0.4
    found: dict[str, float] = {}
    text = "\n".join(mine or sentences)
    for sign in _signs()["method"]:
        if any(re.search(rf"(?<!\w){re.escape(phrase)}", text) for phrase in sign.words):
            for family, score in sign.scores:
                found[family] = found.get(family, 0.0) + weight * score
    return found


_BRUSHED_ON = re.compile(
    r"\b(?:egg[- ]?wash|(?:for|to) (?:brush|glaz)\w*)\b(?!\s+(?:the\s+)?(?:icing|glaze))|\bbeaten[^,;]*,?\s+to glaze\b",
    re.I,
)
_HEAT = re.compile(
    r"\b(?:oven|bake[ds]?|baking(?! powder| soda| sheet| tray| paper| parchment)|preheat|gas mark|roast)\b", re.I
)
_BOILS = re.compile(
    r"\bboil(?!ing water)|caramel|\bamber\b|soft[- ]?ball|crack|thermometer|\bsyrup\b|dissolv|simmer", re.I
)
_NEVER_BAKED = re.compile(r"\braw\b|\bno[- ]?bake\b|\bunbaked\b|\bfridge\b|\bicebox\b", re.I)
_NO_BAKE = re.compile(r"\b(?:no[- ]?bake|unbaked)\b", re.I)
# A method of few words that tells how it sets: "Beat, spread on the base, chill."
_SETS_COLD = re.compile(r"\b(?:chill|fridge|refrigerat|freez|leave to set)", re.I)
# How loudly a title that says so speaks for what is mixed and set [score] (judgement).
UNBAKED = 2.0
_FRIES = re.compile(r"\bfr(?:y|ies|ied|ying)\b(?!\s+pan)|\bhot (?:oil|fat)\b|\bdeep[- ]|\d\s*°?\s*[CF]\s+oil\b", re.I)
_FREEZES = re.compile(
    r"\bfr(?:eez|oze)|\bchurn|\bice[- ]cream\b|\bsorbet|\bgranita|\bkulfi|\bgelato|\bloll(?:y|ies)\b|\bpopsicle|\bsemifreddo|\bmachine\b",
    re.I,
)
# What an oven in the method, or none in one that is told at length, speaks against [score]; how long that is [characters].
OVEN, OVEN_FOR_A_PART, BAKED_INSTEAD, TOLD_AT_LENGTH, TOLD_IN_SHORT = 3.0, 0.3, 7.0, 60, 25


def _by_heat(score: dict[str, float], formula: Formula) -> None:
    """Lower what can't be: a thing that is never baked where the oven is on, and a baked one where it is not."""
    is_hot = formula.oven is not None or bool(_HEAT.search(formula.method))
    if not is_hot and _NO_BAKE.search(formula.title):
        score["no_bake"] += UNBAKED  # "No-Bake Oat Cookies"
    weight = 1.0 if len(formula.components) == 1 else OVEN_FOR_A_PART
    for family in families().values():
        is_cold = bool({"unheated", "unheated_starch"} & family.traits)
        is_untold = _is_untold(family, formula)
        if is_hot and is_cold and not is_untold:
            score[family.key] -= OVEN * weight
        elif (
            ("boiled" in family.traits and formula.method and not _BOILS.search(formula.method))
            or (
                not is_hot
                and family.is_baked
                and (
                    len(formula.method) > TOLD_AT_LENGTH
                    or ("custard" in family.kin and _SETS_COLD.search(formula.method))
                    or _NEVER_BAKED.search(formula.title)
                )
            )
            or is_untold
        ):
            # Doughnuts that are baked are called what those are that are fried.
            is_baked_instead = "fried" in family.traits and _said(formula.title, "name").get(family.key, 0.0) > 0
            is_said = family.is_baked and not is_hot and _NEVER_BAKED.search(formula.title) is not None
            score[family.key] -= BAKED_INSTEAD if is_baked_instead else (1 + is_said) * OVEN
            if is_baked_instead:
                score["quick_bread"] += OVEN


def _is_untold(family: Family, formula: Formula) -> bool:
    """Return whether a family's own deed is told nowhere: nothing fried in a recipe with an oven, nothing frozen in a method told at length."""
    if "fried" in family.traits:
        is_told = formula.oven is not None or len(formula.method) > TOLD_IN_SHORT
        listed = " ".join(line.text for line in (*formula.lines, *formula.asked))  # "oil for frying"
        return is_told and not _FRIES.search(f"{formula.title} {formula.method} {listed}")
    told = f"{formula.title} {formula.method}"
    is_long = len(formula.method) > TOLD_AT_LENGTH or formula.oven is not None
    return "frozen" in family.kin and is_long and not _FREEZES.search(told)


def is_possible(family: Family, shares: Mapping[str, float]) -> bool:
    """Return whether a component made so can be of this family, whatever it is called; *shares* are of its mass."""
    return all(any(_holds(one, shares) for one in alternatives) for alternatives in family.fits)


def _holds(condition: str, shares: Mapping[str, float]) -> bool:
    """Return whether a condition such as "flour<0.12" holds."""
    name, sign, limit = re.split("([<>])", condition)
    return shares[name] < float(limit) if sign == "<" else shares[name] > float(limit)


def natures(formula: Formula) -> dict[str, Nature]:
    """Return the family of every component, by its name.

    Parameters
    ----------
    formula
        The whole recipe.
    """
    return {component: nature_of(formula, component) for component in formula.components}
