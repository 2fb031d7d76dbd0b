"""What an ingredient is made of, what it weighs in a cup or by the piece, what it may be called. Reads no recipe."""

from sun_crumb.core.pantry.ingredient import Composition, Ingredient, Measure
from sun_crumb.core.pantry.store import Pantry, diets, shipped_pantry

__all__ = ["Composition", "Ingredient", "Measure", "Pantry", "diets", "shipped_pantry"]
