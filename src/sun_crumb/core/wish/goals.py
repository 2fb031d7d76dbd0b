"""What the baker wants."""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, field
from functools import cache, cached_property
from math import isfinite
from typing import Literal, cast

from sun_crumb.core.balance import families
from sun_crumb.core.balance.patterns import Pattern
from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.pantry import Ingredient, diets
from sun_crumb.core.pantry.store import excluded_tags
from sun_crumb.core.reference import table
from sun_crumb.core.wish.eaters import eaters

Definition = Literal["free_sugars_who_g", "free_sugars_uk_g", "added_sugars_us_g", "refined_sugar_g", "total_sugars_g"]
DEFINITIONS: dict[Definition, str] = {
    "free_sugars_who_g": "free sugar",
    "free_sugars_uk_g": "free sugar (UK)",
    "added_sugars_us_g": "added sugar",
    "refined_sugar_g": "refined sugar",
    "total_sugars_g": "sugar of every kind",
}


# The kinds of sweetener that a batter holds only so much of, by the names of families.csv.
CAPS = {"puree": "fruit purée", "paste": "fruit paste", "syrup": "syrup", "filler": "dry filler"}


@dataclass(frozen=True, slots=True)
class Path:
    """A school of baking with less sugar, as a preset of goals; one that ``seasons`` makes up by flavour.

    ``allowed`` are the kinds of sweetener it takes; of its ``traits`` *structure* brings what can stand in for sugar's structure, *shares* lets no
    one sweetener carry all, *refined_only* may count refined sugar alone, *swaps* takes darker chocolate, *fruit_only* no milk powder.
    """

    key: str
    name: str
    definition: Definition
    usual: tuple[str, ...]
    most_new: int
    cut: float
    keep_sweet: float
    seasons: bool
    words: str
    allowed: frozenset[str]
    traits: frozenset[str]

    def allows(self, ingredient: Ingredient) -> bool:
        """Return whether this school would sweeten with *ingredient*: with what is of a kind that it allows."""
        if not ingredient.has_role("sugar", "syrup", "paste", "puree", "bulk", "intense"):
            return False
        if ingredient.has_role("dairy") or ingredient.sugar_kind in ("refined", "preserve"):
            return False
        return "any" in self.allowed or not self.allowed.isdisjoint(_kinds_of(ingredient))


def _kinds_of(ingredient: Ingredient) -> Iterator[str]:
    """Give the kinds of sweetener that the schools tell apart: whole fruit, unrefined sugar, substitute."""
    kind = ingredient.sugar_kind
    if kind in ("puree", "intrinsic") and ingredient.has_role("paste", "puree", "sugar"):
        yield "whole_fruit"
    if kind in ("unrefined", "concentrate") and not ingredient.has_role("bulk"):
        yield "unrefined"
    if ingredient.has_role("bulk", "intense"):
        yield "substitute"


@cache
def paths() -> dict[str, Path]:
    """Return the five paths by key."""
    return {
        row["key"]: Path(
            key=row["key"],
            name=row["name"],
            definition=cast(Definition, row["definition"]),
            usual=tuple(filter(None, row["usual"].split(";"))),
            most_new=int(row["most_new"]),
            cut=float(row["cut"]),
            keep_sweet=float(row["keep_sweet"]),
            seasons=row["seasons"] == "1",
            words=row["words"],
            allowed=frozenset(row["allows"].split()),
            traits=frozenset(row["traits"].split()),
        )
        for row in table("paths")
    }


# No flour is thirstier than this share (judgement).
MOST_THIRST = 0.2


@dataclass(frozen=True)
class Goals:
    """A wish for one recipe.

    Parameters
    ----------
    path
        One of the five paths; its presets fill what is left open.
    cut
        Share of the sugar to take out, 0 to 1; of the kind named by *definition*.
    keep_sweet
        How sweet to stay, as a share of the original, 0.3 to 1.3.
    diets
        Keys of diets.csv; what they rule out is never added.
    cupboard
        Pantry keys of the sweeteners at hand; None for the path's usual ones.
    eaters
        Keys of eaters.csv: who is at the table.
    avoid
        Tags of allergens.csv that nothing added may carry.
    without, including
        Pantry keys that must not come in, and that must.
    most_energy_kcal, most_free_sugar_g
        What one portion may hold at most.
    most_cost, prices
        What one portion may cost at most, by prices per kg and pantry key; what has no price costs nothing.
    families
        Dessert family by component, where the guess is wrong.
    locks
        Grams by line position that must not move.
    amounts
        Grams that the baker has set of what comes in: (component, pantry key, grams); 0 keeps it out of that component.
    most_new
        How many new sweeteners a component may take at most; None for the path's own.
    caps
        Most of a kind of sweetener as a share of the batter, by CAPS, where the dessert family's own is not wanted.
    flavours
        Keys of flavours.csv to put in for sweetness given up; None for the path's own.
    base
        Key of bases.csv: what the dessert is to stand on instead, wherever it can; None for its own.
    recasts
        Key of patterns.csv, or of a household's own pattern (own_ and a number), by component: what that one is to be made as.
    confidence
        How often the wish is to hold with amounts and foods as uncertain as they are, 0.5 to 0.99; None for what the figures say.
    own
        The household's own patterns that *recasts* names, by key.
    thirst
        How much more liquid this household's flour takes than recipes reckon with, as a share, -0.2 to 0.2.
    """

    path: str = "blend"
    cut: float | None = None
    keep_sweet: float | None = None
    definition: Definition | None = None
    diets: tuple[str, ...] = ()
    cupboard: tuple[str, ...] | None = None
    avoid: tuple[str, ...] = ()
    without: tuple[str, ...] = ()
    including: tuple[str, ...] = ()
    most_energy_kcal: float | None = None
    most_free_sugar_g: float | None = None
    most_cost: float | None = None
    prices: dict[str, float] = field(default_factory=dict)
    families: dict[str, str] = field(default_factory=dict)
    locks: dict[int, float] = field(default_factory=dict)
    amounts: tuple[tuple[str, str, float], ...] = ()
    most_new: int | None = None
    caps: dict[str, float] = field(default_factory=dict)
    flavours: tuple[str, ...] | None = None
    eaters: tuple[str, ...] = ()
    base: str | None = None
    recasts: dict[str, str] = field(default_factory=dict)
    confidence: float | None = None
    own: Mapping[str, Pattern] = field(default_factory=dict)
    thirst: float = 0.0

    def __post_init__(self) -> None:
        self._check_choices()
        _in_range("cut", self.cut, 0.0, 1.0)
        _in_range("keep_sweet", self.keep_sweet, 0.3, 1.3)
        _in_range("confidence", self.confidence, 0.5, 0.99)
        _in_range("thirst", self.thirst, -MOST_THIRST, MOST_THIRST)
        _in_range("most_energy_kcal", self.most_energy_kcal, 1.0, 5000.0, "the energy of a portion [kcal]")
        _in_range("most_free_sugar_g", self.most_free_sugar_g, 0.0, 500.0, "the free sugar of a portion [g]")
        _in_range("most_cost", self.most_cost, 0.0, 10_000.0, "the cost of a portion")
        _in_range("most_new", self.most_new, 0, 6, "the number of new sweeteners")
        for key, price in self.prices.items():
            _in_range("prices", price, 0.0, 1e6, f"the price of {key}")
        for kind, share in self.caps.items():
            require_choice(kind, CAPS, "caps")
            _in_range("caps", share, 0.0, 0.8, f"the most {CAPS[kind]} in the batter")
        if both := sorted(set(self.without) & set(self.including)):
            raise OutOfDomainError(f"{both[0]} can't be both left out and put in", field="including", key=both[0])
        self._check_amounts()

    def _check_choices(self) -> None:
        """Raise UnknownChoiceError, naming the field, where a name is none of those known."""
        require_choice(self.path, paths(), "path")
        known: tuple[tuple[str, Iterable[str], object], ...] = (
            ("definition", () if self.definition is None else (self.definition,), DEFINITIONS),
            ("diet", self.diets, diets()),
            ("eaters", self.eaters, eaters()),
            ("avoid", self.avoid, _column("allergens", "tag")),
            ("family", self.families.values(), families()),
            ("flavours", self.flavours or (), _column("flavours", "key")),
            ("base", () if self.base is None else (self.base,), _column("bases", "key")),
            ("recasts", (key for key in self.recasts.values() if not _OWN.fullmatch(key)), _column("patterns", "key")),
        )
        for field_name, names, choices in known:
            for name in names:
                require_choice(name, choices, field_name)

    def _check_amounts(self) -> None:
        """Raise OutOfDomainError where what the baker has set is no amount, is set twice, or must not be in."""
        for position, grams in self.locks.items():
            if not _is_amount(grams):
                raise OutOfDomainError(
                    f"line {position + 1}: {grams} g can't be locked", field="locks", position=position
                )
        places = [(component, key) for component, key, _ in self.amounts]
        for _, key, grams in self.amounts:
            if not _is_amount(grams):
                raise OutOfDomainError(f"{key}: {grams} g can't be set", field="amounts", key=key)
            if grams and key in self.without:
                raise OutOfDomainError(f"{key} can't be both left out and set", field="amounts", key=key)
        if twice := next((place for place in places if places.count(place) > 1), None):
            raise OutOfDomainError(f"{twice[1]} is set twice", field="amounts", key=twice[1])

    @cached_property
    def excluded(self) -> frozenset[str]:
        """The tags that diets, allergens and eaters rule out."""
        return excluded_tags(self.diets).union(self.avoid, *(eaters()[key].excluded_tags for key in self.eaters))

    @property
    def sitting_share(self) -> float:
        """What part of a portion's usual limits of sugar alcohols and fibres everyone at the table bears."""
        return min((eaters()[key].sitting_share for key in self.eaters), default=1.0)

    @property
    def preset(self) -> Path:
        """The path's presets."""
        return paths()[self.path]

    @property
    def new_at_most(self) -> int:
        """How many new sweeteners one component may take."""
        return self.preset.most_new if self.most_new is None else self.most_new

    @property
    def wanted_cut(self) -> float:
        """The cut asked for, or the path's own."""
        return self.preset.cut if self.cut is None else self.cut

    @property
    def wanted_sweetness(self) -> float:
        """The sweetness asked for, or the path's own; where nothing sweetens instead it falls with the cut."""
        if self.keep_sweet is not None:
            return self.keep_sweet
        own = self.preset.keep_sweet
        return own if self.preset.most_new else max(0.3, min(own, 1 - self.wanted_cut))

    @property
    def counted(self) -> Definition:
        """The definition of sugar that is cut."""
        return self.definition or self.preset.definition


_OWN = re.compile(r"own_\d{1,12}")


@cache
def _column(name: str, column: str) -> frozenset[str]:
    """Return what stands in one column of a table."""
    return frozenset(row[column] for row in table(name))


def _is_amount(grams: float) -> bool:
    return isfinite(grams) and 0 <= grams <= 100_000


def _in_range(name: str, value: float | None, low: float, high: float, words: str = "") -> None:
    if value is not None and not (isfinite(value) and low <= value <= high):
        raise OutOfDomainError(
            f"{words or name} must lie between {low:g} and {high:g}, not {value:g}", field=name, value=value
        )
