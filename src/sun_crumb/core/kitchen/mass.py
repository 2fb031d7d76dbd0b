"""Food as masses: what so many grams hold, added, divided, dried; nothing is lost but what leaves."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.pantry import Ingredient

# What is conserved in every preparation [g, kcal]; water apart.
SUGARS = ("sucrose_g", "glucose_g", "fructose_g", "lactose_g", "maltose_g", "galactose_g")
SOLIDS = (
    "protein_g", "fat_g", "fibre_g", "ash_g", "starch_g", *SUGARS, "erythritol_g", "xylitol_g", "sorbitol_g", "maltitol_g", "allulose_g",
    "inulin_g", "polydextrose_g", "dextrin_g", "alcohol_g", "glycosides_g",
)  # fmt: skip
# What goes with dissolved water when juice is pressed out or liquid poured off.
DISSOLVED = (
    *SUGARS,
    "erythritol_g",
    "xylitol_g",
    "sorbitol_g",
    "maltitol_g",
    "allulose_g",
    "alcohol_g",
    "glycosides_g",
)


@dataclass(frozen=True, slots=True)
class Mass:
    """So much of something: its mass, water and total sugars [g], energy [kcal], and each of the SOLIDS [g]."""

    mass_g: float
    water_g: float
    total_sugars_g: float
    energy_kcal: float
    solids: tuple[float, ...]

    @classmethod
    def none(cls) -> Mass:
        """Return nothing."""
        return cls(0.0, 0.0, 0.0, 0.0, (0.0,) * len(SOLIDS))

    @classmethod
    def of(cls, food: Ingredient, grams: float) -> Mass:
        """Return so many grams of a food."""
        c, k = food.per_100g, grams / 100
        return cls(
            grams,
            c.water_g * k,
            c.total_sugars_g * k,
            c.energy_kcal * k,
            tuple(getattr(c, name) * k for name in SOLIDS),
        )

    def __add__(self, other: Mass) -> Mass:
        """Return both together."""
        return Mass(
            self.mass_g + other.mass_g,
            self.water_g + other.water_g,
            self.total_sugars_g + other.total_sugars_g,
            self.energy_kcal + other.energy_kcal,
            tuple(a + b for a, b in zip(self.solids, other.solids, strict=True)),
        )

    def __sub__(self, other: Mass) -> Mass:
        """Return what is left when *other* leaves."""
        return self + other.times(-1.0)

    def times(self, share: float) -> Mass:
        """Return a share of it, all alike."""
        return Mass(
            self.mass_g * share,
            self.water_g * share,
            self.total_sugars_g * share,
            self.energy_kcal * share,
            tuple(s * share for s in self.solids),
        )

    def wetter(self, water_g: float) -> Mass:
        """Return it with so much more water; less where that is negative.

        Raises
        ------
        OutOfDomainError
            More water is to leave than there is.
        """
        if -water_g > self.water_g + 1e-9:
            raise OutOfDomainError(
                f"{-water_g:.0f} g of water can't leave {self.mass_g:.0f} g that hold {self.water_g:.0f} g of it",
                field="after",
            )
        return Mass(self.mass_g + water_g, self.water_g + water_g, self.total_sugars_g, self.energy_kcal, self.solids)

    def held(self, name: str) -> float:
        """Return how much of one of the SOLIDS it holds [g]."""
        return self.solids[SOLIDS.index(name)]

    def part(self, shares: dict[str, float], water_g: float) -> Mass:
        """Return a part of it by a share of each of its solids, 0 where none is given, with so much water [g].

        Energy goes by the laws' factors of what is in the part, scaled to the whole's own.
        """
        solids = tuple(s * shares.get(name, 0.0) for name, s in zip(SOLIDS, self.solids, strict=True))
        sugar_share = shares.get("sucrose_g", 0.0)
        factor = self.energy_kcal / whole if (whole := _energy(self.solids)) > 0 else 0.0
        solid_mass = sum(solids)
        return Mass(solid_mass + water_g, water_g, self.total_sugars_g * sugar_share, factor * _energy(solids), solids)


_KCAL = {"protein_g": 4.0, "fat_g": 9.0, "fibre_g": 2.0, "ash_g": 0.0, "erythritol_g": 0.0, "allulose_g": 0.4, "alcohol_g": 7.0, "inulin_g": 2.0,
         "polydextrose_g": 1.0, "xylitol_g": 2.4, "sorbitol_g": 2.4, "maltitol_g": 2.4, "glycosides_g": 0.0}  # fmt: skip


def _energy(solids: tuple[float, ...]) -> float:
    """Return the energy of solids by the laws' factors [kcal] (Regulation (EU) 1169/2011, annex XIV)."""
    return sum(_KCAL.get(name, 4.0) * s for name, s in zip(SOLIDS, solids, strict=True))
