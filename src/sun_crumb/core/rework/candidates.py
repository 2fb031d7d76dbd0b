"""What may move in a recipe and what may come in, from moves.csv and additions.csv."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.errors import UnknownChoiceError
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.formula.totals import free_uk_share
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.reference import table
from sun_crumb.core.rework.goals import Goals


@dataclass(frozen=True, slots=True)
class Move:
    """How far a line already there may go, as shares of its amount, and what touching it costs."""

    low: float
    high: float
    cost: float
    is_cut: bool = False


ADJUSTERS = frozenset({"filler", "soda", "moist", "piece", "adjust", "acid", "swap"})


@dataclass(frozen=True, slots=True)
class Addition:
    """Something the plan may add: its kind, its least sensible dose [g], its cap [share of the batter] and cost.

    A ``piece`` comes whole (eggs, yolks); a ``swap`` takes the place of the line at ``replaces``, gram for gram;
    ``is_required`` when the baker said that it must be in.
    """

    ingredient: Ingredient
    kind: str
    least_g: float
    most_share: float | None
    cost: float
    is_wished: bool = False
    is_required: bool = False
    replaces: int | None = None

    @property
    def is_sweetener(self) -> bool:
        """Whether it counts against the number of new sweeteners."""
        return self.kind not in ADJUSTERS


ASKED_SHARE = 0.03
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


def must_go(line: FormulaLine, goals: Goals) -> bool:
    """Return whether a line is to be left out: named so, or a sweetener that a diet or an allergy rules out."""
    ingredient = line.ingredient
    return ingredient.key in goals.without or (
        bool(ingredient.tags & goals.excluded) and is_cuttable(line, "total_sugars_g")
    )


@cache
def _moves() -> dict[str, Move]:
    return {row["role"]: Move(float(row["low"]), float(row["high"]), float(row["cost"])) for row in table("moves")}


def move_of(line: FormulaLine, definition: str) -> Move | None:
    """Return how a line may move, or None where it stays as it is."""
    if is_cuttable(line, definition):
        return Move(0.0, 1.0, 0.0, is_cut=True)
    ingredient = line.ingredient
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


def additions(formula: Formula, family: Family, goals: Goals, pantry: Pantry) -> list[Addition]:
    """Return what may come into one component: sweeteners of the path, the cupboard and the diets, and adjusters."""
    present = {line.ingredient.key for line in formula.lines}
    excluded = goals.excluded
    known = {row["ingredient"]: row for row in table("additions")}
    path = goals.preset
    wanted = path.usual if goals.cupboard is None else goals.cupboard
    if goals.cupboard is None and family.stand_ins and path.key in ("zero", "blend"):
        # Where sugar is the structure, only what can take that part is of use.
        wanted = (*family.stand_ins, *wanted)
    found: list[Addition] = []
    is_wished = goals.cupboard is not None and len(wanted) <= path.most_new
    for key in dict.fromkeys(wanted):
        ingredient = pantry[key]
        if key in present or not path.allows(ingredient) or ingredient.tags & excluded or key in goals.without:
            continue
        row = known.get(key)
        if row and row["families"] and not is_wished and family.key not in row["families"].split():
            # Ground dates stay grainy where nothing is baked into a crumb; banana is no part of a custard.
            continue
        found.append(_addition(ingredient, row, is_wished=is_wished))
    for key in goals.including:
        if key not in present:
            ingredient = pantry[key]
            asked = _addition(ingredient, known.get(key), is_required=True)
            if asked.kind in ("adjust", "swap"):
                asked = replace(asked, kind="adjust", least_g=_asked_dose(ingredient, formula.mass_g))
            found = [*(a for a in found if a.ingredient.key != key), asked]
    liquid = any(line.ingredient.has_role("liquid") for line in formula.lines)
    lifts = any(line.ingredient.key in ("baking_soda", "baking_powder", "self_raising_flour") for line in formula.lines)
    taken = {a.ingredient.key for a in found}
    for key, row in known.items():
        ingredient = pantry[key]
        if ingredient.tags & excluded or key in goals.without or key in taken:
            continue
        if row["kind"] == "swap":
            found += _swaps(formula, ingredient, row, goals)
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


def _swaps(formula: Formula, darker: Ingredient, row: dict[str, str], goals: Goals) -> list[Addition]:
    """Return the swap of a recipe's sweetest chocolate for a darker one, where it holds much more sugar."""
    if goals.preset.key not in ("less", "blend", "zero"):
        return []
    sweet = [
        (line.ingredient.per_100g.total_sugars_g * line.grams, n)
        for n, line in enumerate(formula.lines)
        if line.ingredient.has_role("chocolate")
        and line.ingredient.per_100g.total_sugars_g > darker.per_100g.total_sugars_g + 10
        and not line.ingredient.has_role("flour")
        and n not in goals.locks
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
