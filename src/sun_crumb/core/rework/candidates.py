"""What may move in a recipe and what may come in, from moves.csv and additions.csv."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.formula.totals import free_uk_share
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.pantry.store import excluded_tags
from sun_crumb.core.reference import table
from sun_crumb.core.rework.goals import Goals


@dataclass(frozen=True, slots=True)
class Move:
    """How far a line already there may go, as shares of its amount, and what touching it costs."""

    low: float
    high: float
    cost: float
    is_cut: bool = False


@dataclass(frozen=True, slots=True)
class Addition:
    """Something the plan may add: its kind, its least sensible dose [g], its cap [share of the batter] and cost."""

    ingredient: Ingredient
    kind: str
    least_g: float
    most_share: float | None
    cost: float
    is_wished: bool = False

    @property
    def is_sweetener(self) -> bool:
        """Whether it counts against the number of new sweeteners."""
        return self.kind not in ("filler", "soda", "moist")


SWEETENER_KINDS = {"paste": "paste", "puree": "puree", "syrup": "syrup"}


def counted_per_gram(line: FormulaLine, definition: str) -> float:
    """Return the sugar of a *definition* in 1 g of a line [g]."""
    c = line.ingredient.per_100g
    share = {
        "total_sugars_g": 1.0,
        "refined_sugar_g": c.refined_share,
        "added_sugars_us_g": c.added_us_share,
        "free_sugars_who_g": c.free_who_share,
        "free_sugars_uk_g": free_uk_share(line),
    }[definition]
    return c.total_sugars_g / 100 * share


def is_cuttable(line: FormulaLine, definition: str) -> bool:
    """Return whether a line is a sweetener whose sugar the *definition* counts: sugar or syrup, not chocolate or jam."""
    ingredient = line.ingredient
    if not ingredient.has_role("sugar", "syrup") or ingredient.has_role(
        "flour", "liquid", "fruit", "nut", "fat", "bulk"
    ):
        return False
    return counted_per_gram(line, definition) > 0.3


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
    if ingredient.has_role("sugar") and ingredient.has_role("liquid", "fat", "nut", "dairy"):
        return None
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
    excluded = excluded_tags(goals.diets)
    known = {row["ingredient"]: row for row in table("additions")}
    path = goals.preset
    wanted = path.usual if goals.cupboard is None else goals.cupboard
    found: list[Addition] = []
    is_wished = goals.cupboard is not None and len(wanted) <= path.most_new
    for key in dict.fromkeys(wanted):
        ingredient = pantry[key]
        if key in present or not path.allows(ingredient) or ingredient.tags & excluded:
            continue
        row = known.get(key)
        kind = row["kind"] if row else _kind(ingredient)
        found.append(
            Addition(
                ingredient,
                kind,
                float(row["least_g"]) if row else 8.0,
                float(row["most_share"]) if row and row["most_share"] else None,
                float(row["cost"]) if row else 0.2,
                is_wished,
            )
        )
    liquid = any(line.ingredient.has_role("liquid") for line in formula.lines)
    lifts = any(line.ingredient.key in ("baking_soda", "baking_powder", "self_raising_flour") for line in formula.lines)
    for key, row in known.items():
        ingredient = pantry[key]
        if key in present or ingredient.tags & excluded or any(a.ingredient.key == key for a in found):
            continue
        if (
            (row["kind"] == "filler" and key == "milk_powder" and family.caps["filler"] > 0 and path.key != "fruit")
            or (row["kind"] == "soda" and lifts)
            or (row["kind"] == "moist" and not liquid and family.key not in ("caramel", "meringue"))
        ):
            if key == "water" and any(a.ingredient.key == "milk" for a in found):
                continue
            share = float(row["most_share"]) if row["most_share"] else None
            found.append(Addition(ingredient, row["kind"], float(row["least_g"]), share, float(row["cost"])))
    return found


def _kind(ingredient: Ingredient) -> str:
    if ingredient.has_role("intense") and not ingredient.has_role("bulk"):
        return "intense"
    for role, kind in (("bulk", "bulk"), ("paste", "paste"), ("puree", "puree"), ("syrup", "syrup")):
        if ingredient.has_role(role):
            return kind
    return "crystal"
