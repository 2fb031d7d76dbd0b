"""How often a recipe says the same when another hand has laid it out, hand by hand.

Run as ``python -m bench.hands [recipes for each hand]``; 40 by default.
"""

from __future__ import annotations

import sys

from tests.core.fresh_recipes import FRESH
from tests.support.hands import hands, is_same, plain_ones, said

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import Reading, read_recipe

# A recipe longer than this [characters] is left out: it is mostly talk.
LONGEST = 4_000


def _read(text: str) -> Reading:
    return read_recipe(text, shipped_pantry())


def main() -> int:
    """Print the share of recipes that each hand leaves as they were, the worst first."""
    many = int(sys.argv[1]) if len(sys.argv) > 1 else 40
    recipes = list(plain_ones((text for text, *_ in FRESH if len(text) < LONGEST), _read))
    found: list[tuple[float, int, str]] = []
    for n, (name, write) in enumerate(hands()):
        tried = right = 0
        for recipe, wanted in recipes[n % 7 :: max(1, len(recipes) // (2 * many))]:
            if tried < many and (text := write(recipe)):
                tried += 1
                right += is_same(wanted, said(_read(text)))
        found.append((right / max(1, tried), tried, name))
    print(f"{len(recipes)} recipes\n| hand | recipes | the same % |\n|---|---:|---:|")
    for share, tried, name in sorted(found):
        print(f"| {name} | {tried} | {100 * share:.0f} |")
    total = sum(tried for _, tried, _ in found)
    print(f"| all | {total} | {100 * sum(share * tried for share, tried, _ in found) / total:.1f} |")
    return 0


if __name__ == "__main__":
    sys.exit(main())
