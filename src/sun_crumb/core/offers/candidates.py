"""What may come into a component, from additions.csv: sweeteners of the path, the cupboard and the diets, and adjusters."""

from __future__ import annotations

import re
from collections.abc import Collection, Iterator, Mapping, Set
from dataclasses import replace
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.balance.makeup import makeup
from sun_crumb.core.balance.nature import CANDY_STAGE
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.offers.addition import KINDS, Addition, Kind
from sun_crumb.core.offers.levers import levers_in
from sun_crumb.core.offers.moves import is_cuttable
from sun_crumb.core.offers.stand_ins import stood_in
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.reference import table
from sun_crumb.core.wish.goals import Goals

ASKED_SHARE = 0.03
# From this share of the mass on something brown makes the whole brown (judgement).
# Fruit of more water than this [g in 100 g] that is such a share of the batter wets it (common practice: a loaf wet with banana takes no milk).
FRUIT_WATER_G, WETTING_SHARE = 60.0, 0.15
DARK_SHARE = 0.04
# From this share of the mass on a sauce or filling is of its fruit (judgement).
OF_FRUIT = 0.25
# So much cereal is what a mix crackles by [share], and what holds so much water softens it [g in 100 g] (judgement).
CRISP_SHARE, WET_G = 0.12, 40.0
# What sets by its fat: so much of it and so little water [share]; what holds more water than this makes it part [g in 100 g] (judgement).
FAT_SET, DRY_SET, SEIZES_G = 0.3, 0.15, 60.0


def additions(
    formula: Formula,
    family: Family,
    goals: Goals,
    pantry: Pantry,
    kept: Collection[int] = (),
    around: Set[str] = frozenset(),
) -> list[Addition]:
    """Return what may come into one component: sweeteners of the path, the cupboard and the diets, and adjusters.

    Parameters
    ----------
    formula, family
        The component, and the kind of dessert it is.
    goals
        The wish; ``including`` and ``amounts`` are those of this component.
    pantry
        What may come in.
    kept
        The lines that the baker has set.
    around
        The tags of the whole recipe's foods: an adjuster brings no allergen and no animal food that is not among them.
    """
    present = {line.ingredient.key for line in formula.lines}
    instead = stood_in(formula, family, goals, pantry, kept)
    stands = {a.ingredient.key for a in instead}
    asked = [key for key in goals.including if key not in present | stands]
    found = [a for a in _sweeteners(formula, family, goals, pantry) if a.ingredient.key not in stands.union(asked)]
    found += [_asked(pantry[key], formula) for key in asked]
    found = [*instead, *found]
    set_to = {key: grams for _, key, grams in goals.amounts if key not in present}
    for key, grams in set_to.items():
        found = _with_amount(found, pantry[key], grams)
    taken = {a.ingredient.key for a in found} | set(set_to)
    own = frozenset(around).union(*(line.ingredient.tags for line in formula.lines))
    if _is_of_plants_alone(formula, own):
        found = [a for a in found if "animal" not in a.ingredient.tags or a.is_wished or a.is_required]
    adjusters = _adjusters(formula, family, goals, pantry, kept, taken)
    return found + [
        a
        for a in adjusters
        if _belongs(a, family, own)
        and not _goes_soft(a.ingredient, family, formula)
        and not _parts(a.ingredient, family, formula)
        and not _seizes(a.ingredient, family, formula)
    ]


def _is_of_plants_alone(formula: Formula, own: Set[str]) -> bool:
    """Return whether a recipe is meant to hold nothing from animals: it says so, or stands plants in for milk and eggs; no honey is brought into it."""
    return "animal" not in own and ("plant" in own or _OF_PLANTS.search(formula.title) is not None)


_OF_PLANTS = re.compile(r"\b(?:vegan|plant[- ]?based)\b|\(ve\)", re.I)


def _belongs(addition: Addition, family: Family, own: Set[str]) -> bool:
    """Return whether an adjuster brings nothing foreign: no allergen, no animal food, nothing raw into what no heat reaches."""
    tags = addition.ingredient.tags
    if tags & _foreign() - (own | {"gluten"} if "wheat" in own else own):  # who eats wheat eats gluten
        return False
    return not ("raw" in tags and family.traits & {"unheated", "unheated_starch"})


@cache
def _foreign() -> frozenset[str]:
    """Return the tags that must be in a recipe already: allergens, and what comes from animals."""
    return frozenset(row["tag"] for row in table("allergens")) | {"animal", "meat"}


@cache
def _rows() -> dict[str, dict[str, str]]:
    return {row["ingredient"]: row for row in table("additions")}


def _sweeteners(formula: Formula, family: Family, goals: Goals, pantry: Pantry) -> Iterator[Addition]:
    """Yield what the path may sweeten with: the cupboard's, or its usual ones."""
    path, present = goals.preset, {line.ingredient.key for line in formula.lines}
    wanted = path.usual if goals.cupboard is None else goals.cupboard
    if goals.cupboard is None and family.stand_ins and "structure" in path.traits:
        # Where sugar is the structure, only what can take that part is of use.
        wanted = (*family.stand_ins, *wanted)
    is_wished = goals.cupboard is not None and len(wanted) <= goals.new_at_most
    for key in dict.fromkeys(wanted):
        ingredient, row = pantry[key], _rows().get(key)
        if key in present or not path.allows(ingredient) or ingredient.tags & goals.excluded or key in goals.without:
            continue
        if not is_wished and not suits(ingredient, family, formula):
            continue
        if goals.cupboard is None and "shares" in path.traits and _is_itself_cut(ingredient, goals):
            continue
        if goals.cupboard is None and "shares" in path.traits and _is_out_of_place(ingredient, family, formula):
            continue
        addition = _addition(ingredient, row, is_wished=is_wished)
        is_limited = not is_wished and ("paste" if ingredient.has_role("paste") else "puree") not in goals.caps
        most = _most_in_a_plain_crumb(ingredient, formula, family) if is_limited else None
        yield replace(addition, most_share=most) if most is not None else addition


# So much date paste colours a pale crumb golden and no more, and so much purée leaves a plain sponge one [share of its mass] (judgement).
PASTE_IN_A_PALE_CRUMB, PUREE_IN_A_SPONGE = 0.06, 0.12
# A flour of whole grain, which is brown itself, holds so much starch and fibre [g in 100 g].
STARCH_OF_GRAIN_G, FIBRE_OF_WHOLE_GRAIN_G = 40.0, 8.0
_SPONGE = ("butter_cake", "oil_cake", "foam_cake")
_CRUMB = (
    "butter_cake",
    "!steamed_pudding",
    "oil_cake",
    "foam_cake",
    "cookie",
    "yeast_dough",
    "quick_bread",
    "!pancake",
)


def _most_in_a_plain_crumb(ingredient: Ingredient, formula: Formula, family: Family) -> float | None:
    """Return how much of a fruit's paste or purée a crumb takes that is plain and pale [share of its mass], unasked; None where nothing limits it."""
    if ingredient.has_role("paste"):
        return PASTE_IN_A_PALE_CRUMB if family.is_among(_CRUMB) and _is_pale(formula) else None
    is_sponge = ingredient.has_role("puree") and family.is_among(_SPONGE)
    return PUREE_IN_A_SPONGE if is_sponge and _is_pale(formula) else None


def _is_pale(formula: Formula) -> bool:
    """Return whether a crumb is pale by what is in it: nothing brown, no fruit to speak of, no whole grain."""
    if _is_dark(formula):
        return False
    whole = sum(
        x.grams
        for x in formula.lines
        if x.ingredient.per_100g.starch_g > STARCH_OF_GRAIN_G and x.ingredient.per_100g.fibre_g > FIBRE_OF_WHOLE_GRAIN_G
    )
    return makeup(formula.lines)["fruit"] < SOME_FRUIT and whole < DARK_SHARE * formula.mass_g


def _is_out_of_place(ingredient: Ingredient, family: Family, formula: Formula) -> bool:
    """Return whether fruit has no place: where none is at home or in already, in a cake that its name says is plain and pale, dates in a filling of other fruit.

    Where other sweeteners are at hand it stays out.
    """
    if not ingredient.has_role("paste", "puree"):
        return False
    if not family.is_among(_FRUITY) and makeup(formula.lines)["fruit"] < SOME_FRUIT:
        return True  # apple in brownies, dates in a coffee cake: one more thing to fetch, and another crumb
    is_plain = bool(_PALE_NAME.search(formula.title)) or (family.is_among(["fruit", "sauce"]) and _is_of_fruit(formula))
    return is_plain and not _is_dark(formula)


# Where fruit beside another sweetener is nothing new; elsewhere only where so much fruit is in it already [share] (judgement).
_FRUITY, SOME_FRUIT = ("quick_bread", "!pancake", "oil_cake", "bar", "no_bake", "fruit", "sauce", "energy_ball"), 0.12
_PALE_NAME = re.compile(r"\b(?:lemon|lime|vanilla|victoria|madeira|angel|white|coconut|elderflower|pound)\b", re.I)


def _is_itself_cut(ingredient: Ingredient, goals: Goals) -> bool:
    """Return whether a sweetener brings the very sugar that is cut: honey for sugar is no help where free sugar counts."""
    return is_cuttable(FormulaLine(ingredient, 1.0), goals.counted)


# So much chocolate melted with so little else that is wet seizes with a spoon of water [share of its mass; g in 100 g] (common practice).
MUCH_CHOCOLATE, WETS_G = 0.2, 25.0


def _seizes(ingredient: Ingredient, family: Family, formula: Formula) -> bool:
    """Return whether something wet would make the melted chocolate of what is set in the cold seize: apple sauce, or milk, in fridge bars."""
    if ingredient.per_100g.water_g < WETS_G or not family.is_among(["no_bake"]):
        return False
    held = makeup(formula.lines)
    return held["chocolate"] > MUCH_CHOCOLATE and held["wet"] < held["chocolate"] / 2


def suits(ingredient: Ingredient, family: Family, formula: Formula) -> bool:
    """Return whether a sweetener suits a kind of dessert: it is among its families, and does not show or stay lumpy in it."""
    row = _rows().get(ingredient.key)
    if row and row["families"] and not family.is_among(row["families"].split()):
        # Ground dates stay grainy where nothing is baked into a crumb; banana is no part of a custard.
        return False
    if family.own_floor and family.stand_ins and ingredient.key not in family.stand_ins and not ingredient.is_strong:
        return False  # what does not whip and dry like sugar weakens the foam
    if any(spoils(ingredient, family, formula) for spoils in (_goes_soft, _parts, _seizes, _makes_no_caramel)):
        return False
    if ingredient.has_role("syrup") and family.is_among(["frosting", "glaze"]) and makeup(formula.lines)["fat"] < LEAN:
        return False  # royal icing with honey never sets
    if (
        ingredient.has_role("puree")
        and not ingredient.has_role("paste")
        and family.is_among(["fruit", "sauce"])
        and _is_of_fruit(formula)
    ):
        return False  # a raspberry sauce with apple is an apple sauce
    shows = "pale" in family.traits and ("dark" in ingredient.traits or ingredient.has_role("paste"))
    is_lumpy = "smooth" in family.traits and ingredient.has_role("paste")
    if "own_taste" in ingredient.traits and not _hides(formula, family):
        return False  # with banana a vanilla ice cream is a banana ice cream
    # Coconut sugar makes what is pale brown, date paste an icing or a drizzle lumpy, where nothing dark hides it.
    return not (shows or is_lumpy) or _is_dark(formula)


# An icing of less fat than this dries by its sugar alone [share] (judgement).
LEAN = 0.03


def _goes_soft(ingredient: Ingredient, family: Family, formula: Formula) -> bool:
    """Return whether a wet food would soften what crackles, puffed or flaked cereal, or sets by boiled sugar; what is boiled with it brings no water."""
    if "boiled" not in family.traits and ingredient.per_100g.water_g > WET_G and CANDY_STAGE.search(formula.method):
        return True  # apple in a panforte, whose sugar is boiled until it sets
    is_crisp = any("crisp" in x.ingredient.traits and x.grams > CRISP_SHARE * formula.mass_g for x in formula.lines)
    return is_crisp and "boiled" not in family.traits and ingredient.per_100g.water_g > WET_G


def _makes_no_caramel(ingredient: Ingredient, family: Family, formula: Formula) -> bool:
    """Return whether the sugar of fruit melts to a caramel that this makes none of: erythritol, or dates, under the pears of a tatin, or what is turned out upside down."""
    is_under_it = _UPSIDE_DOWN.search(formula.title) is not None
    is_caramel = family.is_among(["fruit"]) and (is_under_it or _CARAMEL.search(formula.method) is not None)
    return is_caramel and (
        ingredient.per_100g.erythritol_g > TOO_MUCH_ERYTHRITOL_G or ingredient.has_role("paste", "puree")
    )


_UPSIDE_DOWN = re.compile(r"\bupside[- ]?down\b|\btatin\b", re.I)
# "caramel in ovenproof pan", "make a dark caramel", "caramelise the apples"; a sauce poured over is none.
_CARAMEL = re.compile(
    r"(?:^|[.;]\s*)caramel (?:in|from)\b|\b(?:make|cook|boil|to|into) (?:an? )?(?:\w+ )?caramel\b(?! sauce)|\bcarameli[sz]e\b",
    re.I,
)
# What holds so much erythritol crystallises where sugar would melt to a caramel [g in 100 g] (judgement).
TOO_MUCH_ERYTHRITOL_G = 40.0


def _parts(ingredient: Ingredient, family: Family, formula: Formula) -> bool:
    """Return whether a wet food would part or seize what sets by its fat alone: chocolate, nut butter, coconut oil."""
    if "no_oven" not in family.traits or ingredient.per_100g.water_g <= SEIZES_G or formula.mass_g <= 0:
        return False
    fat, water = (
        sum(getattr(x.ingredient.per_100g, of) / 100 * x.grams for x in formula.lines) / formula.mass_g
        for of in ("fat_g", "water_g")
    )
    return bool(fat >= FAT_SET and water <= DRY_SET)


def _is_of_fruit(formula: Formula) -> bool:
    """Return whether fruit of its own is what a component is."""
    return makeup(formula.lines)["fruit"] > OF_FRUIT


def _hides(formula: Formula, family: Family) -> bool:
    """Return whether a food with a taste of its own is no stranger: it is there already, or chocolate or spice covers it in a crumb."""
    is_there = any("own_taste" in line.ingredient.traits for line in formula.lines)
    if not is_there and _OF_ANOTHER_TASTE.search(formula.title):
        return False  # with banana a marmalade pudding is none
    return is_there or (_is_dark(formula) and not family.is_among(["frozen", "custard", "no_bake", "ganache"]))


# What a dessert is named for, and banana would drown (common practice).
_OF_ANOTHER_TASTE = re.compile(
    r"\b(?:lemon|lime|orange|marmalade|grapefruit|cherry|cherries|apple|pear|plum|damson|rhubarb|gooseberry|\w*berr(?:y|ies)|peach|apricot|mango|pineapple|fig|almond|pistachio|coffee|mocha|tea|rose|mint|saffron|treacle)s?\b",
    re.I,
)


def _asked(ingredient: Ingredient, formula: Formula) -> Addition:
    """Return what the baker said must be in, in a sensible dose."""
    asked = _addition(ingredient, _rows().get(ingredient.key), is_required=True)
    if asked.kind in ("adjust", "swap"):
        return replace(asked, kind="adjust", least_g=_asked_dose(ingredient, formula.mass_g))
    return asked


def _with_amount(found: list[Addition], ingredient: Ingredient, grams: float) -> list[Addition]:
    """Return *found* with so much of one ingredient as the baker has set, none of it where that is 0."""
    if any(a.ingredient.key == ingredient.key and a.kind == "stand_in" for a in found):
        return [replace(a, set_g=grams) if a.ingredient.key == ingredient.key else a for a in found]
    others = [a for a in found if a.ingredient.key != ingredient.key]
    if grams <= 0:
        return others
    asked = _addition(ingredient, _rows().get(ingredient.key), is_required=True)
    kind: Kind = "adjust" if asked.kind in ("piece", "swap") else asked.kind
    return [*others, replace(asked, kind=kind, set_g=grams)]


def _adjusters(
    formula: Formula, family: Family, goals: Goals, pantry: Pantry, kept: Collection[int], taken: Collection[str]
) -> list[Addition]:
    """Return what may come in for the texture, the lift and the acid, but for what is *taken* already."""
    present = {line.ingredient.key for line in formula.lines}
    found: list[Addition] = []
    for key, row in _rows().items():
        ingredient = pantry[key]
        if ingredient.tags & goals.excluded or key in goals.without or key in taken:
            continue
        if key not in present and _is_of_use(row, family, goals, formula, present):
            found.append(_with_family_share(_addition(ingredient, row), row, family))
    found += _swaps(formula, family, goals, kept, present)
    if any(a.ingredient.key == "milk" for a in found):
        found = [a for a in found if a.ingredient.key != "water"]
    return found


def _is_of_use(row: dict[str, str], family: Family, goals: Goals, formula: Formula, present: Set[str]) -> bool:
    """Return whether an adjuster can do anything in this component, which holds what is *present*."""
    match row["kind"]:
        case "filler":
            return (
                row["ingredient"] == "milk_powder"
                and family.caps["filler"] > 0
                and "fruit_only" not in goals.preset.traits
                and family.is_among(row["families"].split())
            )
        case "soda":
            return family.is_among(row["families"].split()) and any(
                "lifts" in line.ingredient.traits for line in formula.lines
            )
        case "acid":
            return "baking_soda" in present and family.is_among(row["families"].split())
        case "moist":
            has_liquid = any(line.ingredient.has_role("liquid") for line in formula.lines)
            return family.is_among(row["families"].split()) and not has_liquid and not _is_wet_with_fruit(formula)
        case "piece" | "adjust":
            return _suits(row, family, goals, formula)
    return False


def _is_wet_with_fruit(formula: Formula) -> bool:
    """Return whether fruit or vegetables wet the batter: mashed banana and pineapple take no milk beside them."""
    wet = sum(
        line.grams
        for line in formula.lines
        if line.ingredient.has_role("puree", "fruit") and line.ingredient.per_100g.water_g > FRUIT_WATER_G
    )
    return wet > WETTING_SHARE * formula.mass_g


def _is_dark(formula: Formula) -> bool:
    """Return whether something brown is in it already: chocolate that is not white, nut butter, brown sugar, spice, coffee."""

    def is_brown(food: Ingredient) -> bool:
        return "dark" in food.traits or (food.has_role("chocolate") and "pale" not in food.traits)

    return any(is_brown(x.ingredient) and x.grams > DARK_SHARE * formula.mass_g for x in formula.lines)


def _asked_dose(ingredient: Ingredient, mass_g: float) -> float:
    """Return the least of a food asked for as a taste that is one [g]: a spoon of spice, a share of the batter of others."""
    if ingredient.has_role("flavour", "salt", "leaven", "binder", "acid"):
        spoon = ingredient.measure("tsp") or ingredient.measure("pinch")
        return min(spoon.grams if spoon else 1.0, 5.0)
    return max(8.0, ASKED_SHARE * mass_g)


def _addition(
    ingredient: Ingredient, row: dict[str, str] | None, *, is_wished: bool = False, is_required: bool = False
) -> Addition:
    share = float(row["most_share"]) if row and row["most_share"] else None
    return Addition(
        ingredient,
        KINDS[row["kind"]] if row else _kind(ingredient),
        float(row["least_g"]) if row else 8.0,
        share,
        float(row["penalty"]) if row else 0.2,
        is_wished,
        is_required,
    )


def _with_family_share(addition: Addition, row: Mapping[str, str], family: Family) -> Addition:
    """Return an adjuster with the most of it that this kind of dessert takes, where the table tells one: a brownie is no cake."""
    shares = (cell.split("=") for cell in row["most_by_family"].split())
    share = next((float(share) for key, share in shares if family.is_among([key])), addition.most_share)
    return replace(addition, most_share=share)


def _suits(row: dict[str, str], family: Family, goals: Goals, formula: Formula) -> bool:
    """Return whether an adjuster belongs in this family: its needs are a diet kept, or a kind of food already there."""
    if not family.is_among(row["families"].split()):
        return False
    if row["needs"]:
        return row["needs"] in goals.diets or (row["needs"] == "eggless" and "vegan" in goals.diets)
    if row["kind"] == "piece":
        return any(line.ingredient.has_role("egg") for line in formula.lines)
    return True


def _swaps(
    formula: Formula, family: Family, goals: Goals, kept: Collection[int], present: Set[str]
) -> Iterator[Addition]:
    """Give what may take the place of bought sweet things: of one kind the sweetest line only."""
    best: dict[str, tuple[float, Addition]] = {}
    for n, instead, row in levers_in(formula.lines, goals, family, present):
        if n in kept:
            continue
        line = formula.lines[n]
        saved = line.ingredient.per_100g.total_sugars_g * line.grams
        addition = Addition(
            instead,
            "swap",
            line.grams,
            None,
            float(row["penalty"]),
            replaces=n,
            words=row["words"],
            pieces=int(row["pieces"]),
            worth=float(row["worth"]),
        )
        if saved > best.get(instead.key, (0.0, addition))[0]:
            best[instead.key] = saved, addition
    yield from (addition for _, addition in best.values())


def _kind(ingredient: Ingredient) -> Kind:
    if ingredient.has_role("intense") and not ingredient.has_role("bulk"):
        return "intense"
    for role in ("bulk", "paste", "puree", "syrup"):
        if ingredient.has_role(role):
            return KINDS[role]
    return "crystal" if ingredient.has_role("sugar") else "adjust"
