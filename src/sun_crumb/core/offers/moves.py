"""How far each line of a recipe may move, from moves.csv: sweeteners are cut, liquids go first, eggs go by pieces."""

from __future__ import annotations

import re
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.errors import UnknownChoiceError
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.formula.totals import free_uk_share
from sun_crumb.core.reference import table

# Less juice or vinegar than this is there for its acid alone, and stays [g].
LITTLE_ACID_G = 20.0
SWEETENER_GROUPS = frozenset({"refined", "unrefined"})


@dataclass(frozen=True, slots=True)
class Move:
    """How far a line already there may go, as shares of its amount, and what touching it costs.

    ``step_g`` is the piece that it goes by, as half an egg; 0 where any amount will do.
    """

    low: float
    high: float
    penalty: float
    is_cut: bool = False
    step_g: float = 0.0


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
    if line.is_beside:
        return False  # what is poured over is as much as who eats it takes: no batter makes up for it
    return counted_per_gram(line, definition) > 0.3


@cache
def _moves() -> dict[str, Move]:
    return {row["role"]: Move(float(row["low"]), float(row["high"]), float(row["penalty"])) for row in table("moves")}


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


# So much of the eggs may go at most: of two eggs half a one, of three or more a whole one [share] (judgement).
FEWER_EGGS = 0.34


def _egg_move(line: FormulaLine, family: Family) -> Move | None:
    """Return how eggs may move: fewer by whole ones, or halves by weight where the family allows, by one or a third of them at most.

    One more is no way to make a cake moist: it sets as it bakes.
    """
    each = line.ingredient.measure("each")
    if line.ingredient.key != "egg" or not family.egg_step or each is None or line.grams < 2 * each.grams:
        return None  # nobody beats an egg to leave half of it
    step = family.egg_step * each.grams
    most = min(each.grams, FEWER_EGGS * line.grams)
    fewer = min(most // step * step, (line.grams - step) // step * step) if line.grams > step else 0.0
    return Move(1 - fewer / line.grams, 1.0, _moves()["egg"].penalty, step_g=step) if fewer > 0 else None


def _stays(line: FormulaLine) -> bool:
    """Return whether a line is as much as it is: whole tins, juice told by its fruit, inclusions, seasoning, what others baked, ready-made sweet things."""
    ingredient = line.ingredient
    is_seasoning = ingredient.has_role("egg", "chocolate", "salt", "flavour")
    is_ready_made = ingredient.has_role("sugar") and ingredient.has_role("flour", "liquid", "fat", "nut", "dairy")
    # Jam, curd or caramel sauce: a filling is as much as it is.
    is_filling = ingredient.has_role("syrup") and ingredient.group not in SWEETENER_GROUPS
    return (
        is_packed(line.text)
        or "made" in ingredient.traits
        or (ingredient.group == "chocolate" and ingredient.has_role("flour"))
        or (ingredient.has_role("acid") and (line.grams < LITTLE_ACID_G or line.is_by_the_fruit))
        or line.is_inclusion
        or (is_seasoning and not ingredient.has_role("flour", "leaven"))
        or is_ready_made
        or is_filling
    )


# A foam of whites in one list with the rest stands on so much of its sugar [share] (judgement).
FOAM_LEAST = 0.8
_OWN_FOAM = ("meringue", "marshmallow", "foam_cake", "macaroon", "nut_cookie")


def holds_a_foam(line: FormulaLine, family: Family) -> bool:
    """Return whether whites stand on a sugar in a dessert that is none of whites as a whole: the meringue on a lemon pie, in one list with it."""
    return line.is_foam and not family.is_among(_OWN_FOAM)


def move_of(line: FormulaLine, definition: str, family: Family) -> Move | None:
    """Return how a line may move in a dessert *family*, or None where it stays as it is."""
    if is_cuttable(line, definition):
        return Move(0.0, 1.0, 0.0, is_cut=True)
    ingredient = line.ingredient
    if ingredient.group == "egg":
        return _egg_move(line, family)
    if _stays(line):
        return None
    if ingredient.has_role("acid") and not ingredient.has_role("fruit", "syrup") and "milk" not in ingredient.tags:
        # What a glaze is stirred with goes with its sugar: else it runs off.
        return _moves()["liquid" if family.is_among(["glaze"]) else "acid"]
    for role in ("leaven", "syrup", "puree", "flour", "starch", "liquid"):
        if ingredient.has_role(role):
            if role == "leaven" and ingredient.has_role("flour"):
                continue
            # What is boiled down may have more or less of its cream; elsewhere cream is the thing itself.
            is_body = "thick" in ingredient.traits and family.is_among(
                ["frozen", "no_bake", "cheesecake", "mousse", "frosting"]
            )
            is_cream = role == "liquid" and (ingredient.has_role("fat") or is_body) and "boiled" not in family.traits
            return _moves()["cream" if is_cream else role]
    return None
