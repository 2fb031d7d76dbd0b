"""What may move in a recipe and what may come in, from moves.csv and additions.csv."""

from __future__ import annotations

import re
from collections.abc import Collection
from dataclasses import dataclass, replace
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.errors import UnknownChoiceError
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.formula.totals import free_uk_share
from sun_crumb.core.pantry import Ingredient, Pantry, shipped_pantry
from sun_crumb.core.reference import table
from sun_crumb.core.rework.goals import Goals


@dataclass(frozen=True, slots=True)
class Move:
    """How far a line already there may go, as shares of its amount, and what touching it costs.

    ``step_g`` is the piece that it goes by, as half an egg; 0 where any amount will do.
    """

    low: float
    high: float
    cost: float
    is_cut: bool = False
    step_g: float = 0.0


ADJUSTERS = frozenset({"filler", "soda", "moist", "piece", "adjust", "acid", "swap", "stand_in", "flavour"})


@dataclass(frozen=True, slots=True)
class Addition:
    """Something the plan may add: its kind, its least sensible dose [g], its cap [share of the batter] and cost.

    A ``piece`` comes whole (eggs, yolks); a ``swap`` takes the place of the line at ``replaces``, gram for gram; a
    ``stand_in`` takes the place of what a diet rules out there, ``base_g`` of it, and may ``move`` like a line of the recipe.
    ``is_required`` when the baker said that it must be in, ``set_g`` how much of it where that was said too.
    """

    ingredient: Ingredient
    kind: str
    least_g: float
    most_share: float | None
    cost: float
    is_wished: bool = False
    is_required: bool = False
    replaces: int | None = None
    base_g: float = 0.0
    move: Move | None = None
    set_g: float | None = None
    words: str = ""

    @property
    def is_sweetener(self) -> bool:
        """Whether it counts against the number of new sweeteners."""
        return self.kind not in ADJUSTERS


ASKED_SHARE = 0.03
# What is light to look at, and what is not (common practice, no published source).
PALE = frozenset({"frosting", "sauce"})
DARK = frozenset(
    {
        "cocoa", "carob_powder", "almond_butter", "peanut_butter", "tahini", "light_brown_sugar", "dark_brown_sugar",
        "molasses", "coconut_sugar", "cinnamon", "coffee", "instant_coffee", "medjool_date", "deglet_date", "caramel_sauce",
    }
)  # fmt: skip
SWEETENER_GROUPS = frozenset({"refined", "unrefined"})
SWEETENER_KINDS = {"paste": "paste", "puree": "puree", "syrup": "syrup"}


def counted_per_gram(line: FormulaLine, definition: str) -> float:
    """Return the sugar of a *definition* in 1 g of a line [g]."""
    c = line.ingredient.per_100g
    match definition:
        case "total_sugars_g":
            share = 1.0
        case "refined_sugar_g":
            share = c.refined_share
        case "added_sugars_us_g":
            share = c.added_us_share
        case "free_sugars_who_g":
            share = c.free_who_share
        case "free_sugars_uk_g":
            share = free_uk_share(line)
        case _:
            raise UnknownChoiceError(f"no definition of sugar is called {definition!r}", field="definition")
    return c.total_sugars_g / 100 * share


def is_cuttable(line: FormulaLine, definition: str) -> bool:
    """Return whether a line is a sweetener whose sugar the *definition* counts: sugar or syrup, not chocolate or jam."""
    ingredient = line.ingredient
    if not ingredient.has_role("sugar", "syrup") or ingredient.has_role(
        "flour", "liquid", "fruit", "nut", "fat", "bulk"
    ):
        return False
    if ingredient.group not in SWEETENER_GROUPS and ingredient.sugar_kind != "puree":
        # Curd, toffee bits, sprinkles or drinking chocolate are there for themselves, not to sweeten.
        return False
    return counted_per_gram(line, definition) > 0.3


def must_go(line: FormulaLine, goals: Goals, family: Family) -> bool:
    """Return whether a line is to be left out: named so, or ruled out by a diet or an allergy and not sorely missed.

    Sweeteners are not: others take their place. Of the rest only what has a stand-in in this family goes.
    """
    ingredient = line.ingredient
    if ingredient.key in goals.without:
        return True
    return bool(ingredient.tags & goals.excluded) and (
        is_cuttable(line, "total_sugars_g") or stand_in_for(line, goals, family) is not None
    )


@cache
def _stand_ins() -> dict[str, list[dict[str, str]]]:
    found: dict[str, list[dict[str, str]]] = {}
    for row in table("stand_ins"):
        for key in row["foods"].split():
            found.setdefault(key, []).append(row)
    return found


def stand_in_for(line: FormulaLine, goals: Goals, family: Family) -> tuple[str, dict[str, str]] | None:
    """Return what takes the place of a line that a diet or an allergy rules out, and its row of stand_ins.csv.

    None where nothing does, or where there is too much of it for that.
    """
    for row in _stand_ins().get(line.ingredient.key, ()):
        if row["families"] and family.key not in row["families"].split():
            continue
        if row["most_g"] and line.grams > float(row["most_g"]):
            continue
        for key in row["stand_ins"].split():
            if key not in goals.without and not shipped_pantry()[key].tags & goals.excluded:
                return key, row
    return None


def no_stand_in(line: FormulaLine) -> str:
    """Return why nothing takes the place of a line that a diet rules out."""
    for row in _stand_ins().get(line.ingredient.key, ()):
        if row["most_g"] and line.grams > float(row["most_g"]):
            names = " or ".join(shipped_pantry()[key].name for key in row["stand_ins"].split())
            return f"{names} stands in for {float(row['most_g']):.0f} g at most"
    return "nothing here takes its place"


@cache
def _moves() -> dict[str, Move]:
    return {row["role"]: Move(float(row["low"]), float(row["high"]), float(row["cost"])) for row in table("moves")}


# A whole number of packings: nobody wants a fifth of a tin left over.
_PACKED = re.compile(
    r"^\W*(?:\d{1,2}|one|two|three|four)(?![\d.,/½⅓¼⅔¾⅛])\s*(?:x\s*)?(?:\([^)]*\)\s*|[\d.,]+\s*(?:g|ml|oz)\s*)?"
    r"(?:\w+\s+)?(?:tins?|cans?|packets?|sachets?|jars?|cartons?|tubs?)\b",
    re.I,
)


def is_packed(text: str) -> bool:
    """Return whether a line counts whole tins, packets or jars.

    Examples
    --------
    >>> is_packed("1 (400 g) tin pumpkin"), is_packed("½ tin pumpkin"), is_packed("400 g pumpkin from a tin")
    (True, False, False)
    """
    return bool(_PACKED.match(text))


def _egg_move(line: FormulaLine, family: Family) -> Move | None:
    """Return how eggs may move: by whole ones, or halves by weight where the family allows, by one at most."""
    each = line.ingredient.measure("each")
    if line.ingredient.key != "egg" or not family.egg_step or each is None or line.grams <= 0:
        return None
    step = family.egg_step * each.grams
    fewer = min(each.grams, (line.grams - step) // step * step) if line.grams > step else 0.0
    return Move(1 - fewer / line.grams, 1 + each.grams / line.grams, _moves()["egg"].cost, step_g=step)


def move_of(line: FormulaLine, definition: str, family: Family) -> Move | None:
    """Return how a line may move in a dessert *family*, or None where it stays as it is."""
    if is_cuttable(line, definition):
        return Move(0.0, 1.0, 0.0, is_cut=True)
    ingredient = line.ingredient
    if ingredient.group == "egg":
        return _egg_move(line, family)
    if is_packed(line.text):
        return None
    if line.is_inclusion or (
        ingredient.has_role("egg", "chocolate", "salt", "flavour") and not ingredient.has_role("flour", "leaven")
    ):
        return None
    if ingredient.has_role("sugar") and ingredient.has_role("flour", "liquid", "fat", "nut", "dairy"):
        return None
    if ingredient.has_role("syrup") and ingredient.group not in SWEETENER_GROUPS:
        # Jam, curd or caramel sauce: a filling is as much as it is.
        return None
    if ingredient.has_role("acid") and not ingredient.has_role("fruit", "syrup") and "milk" not in ingredient.tags:
        return _moves()["acid"]
    for role in ("leaven", "syrup", "puree", "flour", "starch", "liquid", "fat"):
        if ingredient.has_role(role):
            if role == "leaven" and ingredient.has_role("flour"):
                continue
            if role == "fat" and ingredient.has_role("nut"):
                return None
            return _moves()[role]
    return None


def additions(
    formula: Formula, family: Family, goals: Goals, pantry: Pantry, kept: Collection[int] = ()
) -> list[Addition]:
    """Return what may come into one component: sweeteners of the path, the cupboard and the diets, and adjusters.

    Of *goals*, ``including`` and ``amounts`` are those of this component; *kept* are the lines there that the baker has set.
    """
    present = {line.ingredient.key for line in formula.lines}
    excluded = goals.excluded
    known = {row["ingredient"]: row for row in table("additions")}
    path = goals.preset
    wanted = path.usual if goals.cupboard is None else goals.cupboard
    if goals.cupboard is None and family.stand_ins and path.key in ("zero", "blend"):
        # Where sugar is the structure, only what can take that part is of use.
        wanted = (*family.stand_ins, *wanted)
    found: list[Addition] = []
    is_wished = goals.cupboard is not None and len(wanted) <= goals.new_at_most
    for key in dict.fromkeys(wanted):
        ingredient = pantry[key]
        if key in present or not path.allows(ingredient) or ingredient.tags & excluded or key in goals.without:
            continue
        row = known.get(key)
        if row and row["families"] and not is_wished and family.key not in row["families"].split():
            # Ground dates stay grainy where nothing is baked into a crumb; banana is no part of a custard.
            continue
        if ingredient.has_role("paste") and family.key in PALE and not is_wished and not _is_dark(formula):
            # Date paste makes an icing or a drizzle brown and lumpy where nothing dark hides it.
            continue
        found.append(_addition(ingredient, row, is_wished=is_wished))
    for key in goals.including:
        if key not in present:
            ingredient = pantry[key]
            asked = _addition(ingredient, known.get(key), is_required=True)
            if asked.kind in ("adjust", "swap"):
                asked = replace(asked, kind="adjust", least_g=_asked_dose(ingredient, formula.mass_g))
            found = [*(a for a in found if a.ingredient.key != key), asked]
    found = [*_stood_in(formula, family, goals, pantry, kept), *found]
    set_to = {key: grams for _, key, grams in goals.amounts if key not in present}
    for key, grams in set_to.items():
        if any(a.ingredient.key == key and a.kind == "stand_in" for a in found):
            found = [replace(a, set_g=grams) if a.ingredient.key == key else a for a in found]
            continue
        found = [a for a in found if a.ingredient.key != key]
        if grams > 0:
            asked = _addition(pantry[key], known.get(key), is_required=True)
            kind = "adjust" if asked.kind in ("piece", "swap") else asked.kind
            found.append(replace(asked, kind=kind, set_g=grams))
    liquid = any(line.ingredient.has_role("liquid") for line in formula.lines)
    lifts = any(line.ingredient.key in ("baking_soda", "baking_powder", "self_raising_flour") for line in formula.lines)
    taken = {a.ingredient.key for a in found} | set(set_to)
    for key, row in known.items():
        ingredient = pantry[key]
        if ingredient.tags & excluded or key in goals.without or key in taken:
            continue
        if row["kind"] == "swap":
            found += _swaps(formula, ingredient, row, goals, kept)
            continue
        if key in present:
            continue
        if (
            (row["kind"] == "filler" and key == "milk_powder" and family.caps["filler"] > 0 and path.key != "fruit")
            or (row["kind"] == "soda" and lifts)
            or (row["kind"] == "moist" and not liquid and family.key in row["families"].split())
            or (row["kind"] == "acid" and lifts and any(line.ingredient.key == "baking_soda" for line in formula.lines))
            or (row["kind"] in ("piece", "adjust") and _suits(row, family, goals, formula))
        ):
            if key == "water" and "milk" in taken:
                continue
            taken.add(key)
            found.append(_addition(ingredient, row))
    return found


def _is_dark(formula: Formula) -> bool:
    """Return whether something brown is in it already: chocolate, nut butter, brown sugar, spice, coffee."""
    return any(
        x.ingredient.has_role("chocolate") or (x.ingredient.key in DARK and x.grams > 0.01 * formula.mass_g)
        for x in formula.lines
    )


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
        row["kind"] if row else _kind(ingredient),
        float(row["least_g"]) if row else 8.0,
        share,
        float(row["cost"]) if row else 0.2,
        is_wished,
        is_required,
    )


def _suits(row: dict[str, str], family: Family, goals: Goals, formula: Formula) -> bool:
    """Return whether an adjuster belongs in this family: its needs are a diet kept, or a kind of food already there."""
    if family.key not in row["families"].split():
        return False
    if row["needs"]:
        return row["needs"] in goals.diets or (row["needs"] == "eggless" and "vegan" in goals.diets)
    if row["kind"] == "piece":
        return any(line.ingredient.has_role("egg") for line in formula.lines)
    return True


def _stood_in(formula: Formula, family: Family, goals: Goals, pantry: Pantry, kept: Collection[int]) -> list[Addition]:
    """Return what takes the place of lines that a diet or an allergy rules out, as much of it as the kitchen would take."""
    found: dict[str, Addition] = {}
    for position, line in enumerate(formula.lines):
        is_left = position in kept or line.ingredient.key in goals.without or line.grams <= 0
        if is_left or not line.ingredient.tags & goals.excluded or is_cuttable(line, "total_sugars_g"):
            continue
        stand_in = stand_in_for(line, goals, family)
        if stand_in is None:
            continue
        key, row = stand_in
        amounts = {key: float(row["grams_per_gram"])}
        for beside in row["beside"].split():
            name, part = beside.split(":")
            amounts[name] = float(part)
        for other, share in amounts.items():
            # Butter in the batter and butter for the tin: one margarine.
            base = share * line.grams + (found[other].base_g if other in found else 0.0)
            taken = move_of(replace(line, ingredient=pantry[other], grams=base, text=""), goals.counted, family)
            move = None if taken is None or taken.is_cut or other != key else taken
            found[other] = Addition(
                pantry[other],
                "stand_in",
                0.0,
                None,
                move.cost if move else 0.0,
                is_required=True,
                replaces=position,
                base_g=base,
                move=move,
                words=row["words"] if other == key else f"for the {pantry[key].name}",
            )
    return list(found.values())


def _swaps(
    formula: Formula, darker: Ingredient, row: dict[str, str], goals: Goals, kept: Collection[int]
) -> list[Addition]:
    """Return the swap of a recipe's sweetest chocolate for a darker one, where it holds much more sugar."""
    if goals.preset.key not in ("less", "blend", "zero"):
        return []
    sweet = [
        (line.ingredient.per_100g.total_sugars_g * line.grams, n)
        for n, line in enumerate(formula.lines)
        if line.ingredient.has_role("chocolate")
        and line.ingredient.per_100g.total_sugars_g > darker.per_100g.total_sugars_g + 10
        and not line.ingredient.has_role("flour")
        and n not in kept
    ]
    if not sweet:
        return []
    position = max(sweet)[1]
    addition = _addition(darker, row)
    return [replace(addition, replaces=position, least_g=formula.lines[position].grams)]


def _kind(ingredient: Ingredient) -> str:
    if ingredient.has_role("intense") and not ingredient.has_role("bulk"):
        return "intense"
    for role, kind in (("bulk", "bulk"), ("paste", "paste"), ("puree", "puree"), ("syrup", "syrup")):
        if ingredient.has_role(role):
            return kind
    return "crystal" if ingredient.has_role("sugar") else "adjust"
