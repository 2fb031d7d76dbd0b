"""Sweetness, the definitions of sugar, and what was saved. Knows ingredients, no recipes."""
