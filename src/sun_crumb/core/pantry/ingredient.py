"""One ingredient: composition, household weights, roles and tags."""

from __future__ import annotations

from dataclasses import dataclass, fields
from functools import lru_cache

from sun_crumb.core.quantities.household import SpoonWeights
from sun_crumb.core.quantities.measures import CupStandard, cup_standard


@dataclass(frozen=True, slots=True)
class Composition:
    """What 100 g hold; masses in g, energy in kcal, acid and base in meq; the shares are parts of the total sugars.

    ``glycosides_g`` is intense sweetener counted as rebaudioside A, ``water_holding_g_per_g`` the water that a gram
    binds in a batter (judgement), ``co2_g`` the carbon dioxide a leavener can give.
    """

    water_g: float
    energy_kcal: float
    protein_g: float
    fat_g: float
    carbohydrate_g: float
    fibre_g: float
    ash_g: float
    total_sugars_g: float
    starch_g: float
    sucrose_g: float
    glucose_g: float
    fructose_g: float
    lactose_g: float
    maltose_g: float
    galactose_g: float
    erythritol_g: float
    xylitol_g: float
    sorbitol_g: float
    maltitol_g: float
    allulose_g: float
    inulin_g: float
    polydextrose_g: float
    dextrin_g: float
    alcohol_g: float
    glycosides_g: float
    acid_meq: float
    base_meq: float
    co2_g: float
    water_holding_g_per_g: float
    refined_share: float
    added_us_share: float
    free_who_share: float
    free_uk_share: float
    # How sweet this product is in one household's mouths against what the model says of it, as learned from tastings.
    sweetness_factor: float = 1.0

    @property
    def sweet_glycosides_g(self) -> float:
        """Glycosides in 100 g, counted as strong as they were found to be."""
        return self.glycosides_g * self.sweetness_factor

    @property
    def polyols_g(self) -> float:
        """Sugar alcohols in 100 g."""
        return self.erythritol_g + self.xylitol_g + self.sorbitol_g + self.maltitol_g

    @property
    def free_sugars_who_g(self) -> float:
        """Free sugars by WHO's definition [g]."""
        return self.total_sugars_g * self.free_who_share


COMPOSITION_FIELDS = tuple(f.name for f in fields(Composition) if f.name != "sweetness_factor")


@dataclass(frozen=True, slots=True)
class Measure:
    """What one *unit* of an ingredient weighs [g]; ``form`` is a packing or a size, empty for the usual one."""

    unit: str
    form: str
    grams: float
    source: str


@dataclass(frozen=True, slots=True)
class Ingredient:
    """A pantry entry; ``source`` is a key of sources.csv, ``locator`` the row's name there.

    ``traits`` say what else a kitchen knows of it: *dark* to look at, *scorches* before white sugar does, *thirsty* so that a batter
    rests, *lifts*, *thick*, a liquid there for its taste (*tasty*), *chips* that keep their shape in
    what melts, what lies *whole* in a mix, what others *made* and nobody takes a tenth of, what is *crisp* until it is wet, what has a taste of its own (*own_taste*) that makes another dessert of it. ``becomes`` is what it is made into before it sweetens a batter, ``effort`` what making it at home asks
    for, in changed lines' worth.
    """

    key: str
    name: str
    group: str
    roles: frozenset[str]
    sugar_kind: str
    tags: frozenset[str]
    per_100g: Composition
    measures: tuple[Measure, ...]
    source: str
    locator: str
    by_hand: str
    traits: frozenset[str] = frozenset()
    becomes: str = ""
    effort: int = 0

    def __hash__(self) -> int:
        """The key's: hashing the whole composition would cost more than what is looked up by it."""
        return hash(self.key)

    def measure(self, unit: str, form: str = "") -> Measure | None:
        """Return the weight of one *unit* in this *form*, or the usual one where that form has none, or None."""
        usual = None
        for measure in self.measures:
            if measure.unit == unit:
                if measure.form == form:
                    return measure
                if not measure.form:
                    usual = measure
        return usual

    def forms(self, unit: str) -> tuple[Measure, ...]:
        """Return every weight known for *unit*, by packing or size."""
        return tuple(m for m in self.measures if m.unit == unit)

    def edible_share(self, form: str) -> float:
        """Return what part of its weight with peel, stone, core or shell is food; 1 where nothing is known.

        *form* is unpeeled, unstoned, uncored, unshelled, or empty for whichever the food has.
        """
        for measure in self.measures:
            if measure.unit == "edible" and form in (measure.form, ""):
                return measure.grams / 100
        return 1.0

    def density_g_per_ml(self, form: str = "") -> float | None:
        """Return the bulk density from the cup weight, else from the spoon's, or None where neither is known."""
        us = cup_standard("us")
        for unit, volume in (("cup", us.cup_ml), ("tbsp", us.tablespoon_ml), ("tsp", us.teaspoon_ml)):
            found = self.measure(unit, form)
            if found:
                return found.grams / volume
        return None

    def spoons(self, cup: CupStandard) -> SpoonWeights | None:
        """Return what a cup and spoons of it weigh by the *cup* standard, or None where no volume is known."""
        return _spoons(self, cup)

    @property
    def is_strong(self) -> bool:
        """Whether it is so sweet that a pinch sweetens a bowl: a pure extract, not a blend made to replace sugar."""
        return self.per_100g.glycosides_g > 10

    def has_role(self, *roles: str) -> bool:
        """Return whether it has one of these roles."""
        return not self.roles.isdisjoint(roles)


@lru_cache(maxsize=2048)
def _spoons(ingredient: Ingredient, cup: CupStandard) -> SpoonWeights | None:
    density = ingredient.density_g_per_ml()
    if density is None:
        return None
    us = cup_standard("us")
    found = [
        measure.grams / volume * mine if (measure := ingredient.measure(unit)) else density * mine
        for unit, volume, mine in (
            ("cup", us.cup_ml, cup.cup_ml),
            ("tbsp", us.tablespoon_ml, cup.tablespoon_ml),
            ("tsp", us.teaspoon_ml, cup.teaspoon_ml),
        )
    ]
    return SpoonWeights(*found)
