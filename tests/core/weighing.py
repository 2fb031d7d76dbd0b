"""What is read of a made-up text and weighed of it, for the tests of reading."""

from __future__ import annotations

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import Reading, read_recipe

METHOD = "\n\nWhisk all together and bake at 180 °C for 30 minutes.\n"


def read(text: str) -> Reading:
    return read_recipe(text, shipped_pantry())


def weighed(text: str) -> dict[str, float]:
    """Return what is weighed of a text, by component and food [g]."""
    found: dict[str, float] = {}
    for line in read(text).lines:
        if line.status == "ok" and line.grams:
            key = f"{line.component}/{line.ingredient}" if line.component else str(line.ingredient)
            found[key] = found.get(key, 0.0) + line.grams
    return found


def listed(*lines: str) -> dict[str, float]:
    """Return what is weighed of a list without parts."""
    return weighed("Slab\n\n" + "\n".join(lines) + METHOD)
