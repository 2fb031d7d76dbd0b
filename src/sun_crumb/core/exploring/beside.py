"""Any two recipes beside each other at the same portion: what each holds, and what makes the difference, in order, summing to the whole."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from sun_crumb.core.balance import measure, nature_of
from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.formula import Formula, FormulaLine, Totals, total
from sun_crumb.core.pantry import Ingredient
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.wish.goals import DEFINITIONS, Definition
from sun_crumb.core.wish.money import cost_of

# What a food does in a dessert, the first that fits: foods are put beside each other by it, not by their names.
DOES: tuple[tuple[str, str, frozenset[str]], ...] = (
    ("substitute", "sweeteners without sugar", frozenset({"intense", "bulk"})),
    ("sugar", "sugar and syrups", frozenset({"sugar", "syrup"})),
    ("chocolate", "chocolate and cocoa", frozenset({"chocolate"})),
    ("fruit", "fruit", frozenset({"fruit", "puree", "paste"})),
    ("nut", "nuts and their butters", frozenset({"nut"})),
    ("flour", "flour and starch", frozenset({"flour", "starch"})),
    ("fat", "fat", frozenset({"fat"})),
    ("egg", "egg", frozenset({"egg"})),
    ("dairy", "milk and what is made of it", frozenset({"dairy", "liquid", "protein"})),
    ("leaven", "leaven, salt and binders", frozenset({"leaven", "salt", "acid", "binder", "fibre"})),
    ("flavour", "flavour", frozenset({"flavour"})),
)
OTHER = ("other", "other foods")
NAMES = {key: name for key, name, _ in DOES} | {OTHER[0]: OTHER[1]}
# Less than this of a portion makes no difference worth a line [g].
TOLD_G = 0.05


def does(food: Ingredient) -> str:
    """Return what a food does in a dessert, as a key of NAMES; bought sweet things with flour in them count as flour."""
    if food.has_role("flour") and not food.has_role("nut"):
        return "flour"
    return next((key for key, _, roles in DOES if food.has_role(*roles)), OTHER[0])


@dataclass(frozen=True, slots=True)
class Beside:
    """One of the two: what a portion and 100 g of it hold, what sets and lifts it, how much work and money it is."""

    title: str
    portion: Totals
    per_100g: Totals
    sweetness: float
    structure_g: float
    lift_g: float
    foods: int
    effort: int
    cost: float | None
    families: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Makes:
    """A part of the difference [g a portion, second less first]: in which part of the dessert, by what kind of food, and the foods."""

    part: str
    kind: str
    name: str
    grams: float
    first: str
    second: str


@dataclass(frozen=True, slots=True)
class InPart:
    """What one part of the dessert adds to the difference [g a portion]."""

    name: str
    grams: float


@dataclass(frozen=True, slots=True)
class Difference:
    """Two recipes at the same portion [g]: each side, the difference in the sugar that is counted, and what makes it."""

    portion_g: float
    definition: str
    first: Beside
    second: Beside
    grams: float
    by_part: tuple[InPart, ...]
    makes: tuple[Makes, ...]
    words: str


def beside(
    first: Formula,
    second: Formula,
    definition: Definition = "free_sugars_who_g",
    portion_g: float | None = None,
    prices: Mapping[str, float] | None = None,
) -> Difference:
    """Return two recipes beside each other.

    Parameters
    ----------
    first, second
        Weighed recipes [g]; a bought product is a recipe of one line.
    definition
        Which sugar counts.
    portion_g
        The portion of both [g]; the first's own where None.
    prices
        What foods cost [per kg], by pantry key; costs are told where every food of a recipe that weighs much has one.

    Raises
    ------
    OutOfDomainError, UnknownChoiceError
        One of them weighs nothing, the portion is none, or the definition is not known.
    """
    require_choice(definition, DEFINITIONS, "definition")
    masses = [total(f.lines).mass_g for f in (first, second)]
    if min(masses) <= 0:
        raise OutOfDomainError("what weighs nothing can't be compared", field="lines")
    size = masses[0] / first.servings if portion_g is None else portion_g
    if not 0 < size <= 5000:
        raise OutOfDomainError(f"{size:g} g is no portion", field="portion_g")
    sides = [_side(f, size, prices or {}) for f in (first, second)]
    makes = _makes(first, second, definition, size / masses[0], size / masses[1])
    parts: dict[str, float] = {}
    for one in makes:
        parts[one.part] = parts.get(one.part, 0.0) + one.grams
    by_part = tuple(InPart(*pair) for pair in sorted(parts.items(), key=lambda pair: -abs(pair[1])))
    grams = getattr(sides[1].portion, definition) - getattr(sides[0].portion, definition)
    told = tuple(one for one in makes if abs(one.grams) > TOLD_G)
    return Difference(
        size, definition, sides[0], sides[1], grams, by_part, told, _words(grams, definition, by_part, told)
    )


def _side(formula: Formula, size: float, prices: Mapping[str, float]) -> Beside:
    whole, sums = total(formula.lines), measure(formula.lines)
    share = size / whole.mass_g
    is_priced = sum(x.grams for x in formula.lines if x.ingredient.key in prices) > PRICED * whole.mass_g
    cost = cost_of(formula.lines, prices) if is_priced else None
    return Beside(
        title=formula.title,
        portion=whole.scaled(share),
        per_100g=whole.scaled(100 / whole.mass_g),
        sweetness=whole.sucrose_equivalent_g / whole.mass_g,
        structure_g=sums["structure"] * share,
        lift_g=sums["lift"] * share,
        foods=len({x.ingredient.key for x in formula.lines if x.grams > 0}),
        effort=sum(1 + x.ingredient.effort for x in formula.lines if x.grams > 0),
        cost=None if cost is None else cost * share,
        families=tuple(nature_of(formula, c).family.name for c in formula.components),
    )


# So much of a recipe must have a price for its cost to be told [share].
PRICED = 0.8


def _makes(first: Formula, second: Formula, definition: Definition, one: float, two: float) -> tuple[Makes, ...]:
    """Return every part of the difference, the largest first; together they are the whole."""
    found: dict[tuple[str, str], list[list[tuple[str, float, float]]]] = {}
    names = _parts(first, second)
    for n, (formula, share) in enumerate(((first, one), (second, two))):
        for line in formula.lines:
            held = getattr(total((line,)), definition) * share
            at = (names[n][line.component], does(line.ingredient))
            found.setdefault(at, [[], []])[n].append((line.ingredient.name, line.grams * share, held))
    rows = [
        Makes(
            part,
            kind,
            NAMES[kind],
            sum(h for _, _, h in sides[1]) - sum(h for _, _, h in sides[0]),
            _foods(sides[0]),
            _foods(sides[1]),
        )
        for (part, kind), sides in found.items()
    ]
    return tuple(sorted(rows, key=lambda row: (-abs(row.grams), row.part, row.kind)))


def _parts(first: Formula, second: Formula) -> tuple[dict[str, str], dict[str, str]]:
    """Return what each component is called in the comparison: the main part of both by one name, others by their own."""
    called = []
    for formula in (first, second):
        main = formula.heaviest()
        called.append({c: "the main part" if c == main else f"the {c}" for c in formula.components})
    return called[0], called[1]


def _foods(rows: Iterable[tuple[str, float, float]]) -> str:
    """Return the foods that hold the most of it, with what a portion has of them."""
    held = sorted((row for row in rows if row[2] > 0 or row[1] > 0), key=lambda row: -row[2])[:3]
    return ", ".join(f"{name} {grams_text(grams)}" for name, grams, _ in held)


def _words(grams: float, definition: Definition, by_part: tuple[InPart, ...], makes: tuple[Makes, ...]) -> str:
    """Return the difference in a sentence: of 11 g less, 7 g from the icing, 4 g from the main part."""
    sugar = DEFINITIONS[definition]
    if abs(grams) <= TOLD_G:
        return f"As much {sugar} in a portion of both."
    whole = f"{grams_text(abs(grams))} {'more' if grams > 0 else 'less'}"
    rows = by_part if len(by_part) > 1 else tuple(InPart(m.name, m.grams) for m in makes)
    told = ", ".join(f"{_signed(one.grams, grams)} from {one.name}" for one in rows[:3] if abs(one.grams) > TOLD_G)
    return f"{whole} {sugar} in a portion of the second: {told}."


def _signed(value: float, whole: float) -> str:
    same = (value > 0) == (whole > 0)
    return grams_text(abs(value)) if same else f"{grams_text(abs(value))} {'more' if value > 0 else 'less'}"


def product(food: Ingredient, grams: float = 100.0) -> Formula:
    """Return a bought thing as a recipe of one line."""
    return Formula(food.name, (FormulaLine(food, grams),), 1, "portion")
