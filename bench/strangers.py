"""How much of recipes in many hands is read rightly, by feature and by hand.

Run as ``python -m bench.strangers [count] [first seed]``; 5,000 recipes by default.
"""

from __future__ import annotations

import sys
from collections import defaultdict

from tests.support.measured import Score, score
from tests.support.writer import write

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe

FEATURES = ("title", "portions", "components", "oven", "grams", "is_whole")


def main() -> int:
    """Print the tables; return 1 where a wrong number of portions was stated as sure."""
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 5000
    first = int(sys.argv[2]) if len(sys.argv) > 2 else 100_000
    by_hand: dict[str, list[Score]] = defaultdict(list)
    for seed in range(first, first + count):
        text, truth = write(seed)
        scored = score(read_recipe(text, shipped_pantry()), truth)
        for hand in ("all", *sorted({f for f in truth.features if not f.startswith("LAST")})):
            by_hand[hand].append(scored)
    print(f"| hand | recipes | food lines % | {' | '.join(f'{f} %' for f in FEATURES)} | surely wrong |")
    print(f"|---|---:|---:|{'---:|' * len(FEATURES)}---:|")
    for hand, scores in sorted(by_hand.items(), key=lambda item: -len(item[1])):
        lines = 100 * sum(s.foods_right for s in scores) / sum(s.foods for s in scores)
        shares = " | ".join(f"{100 * sum(getattr(s, f) for s in scores) / len(scores):.1f}" for f in FEATURES)
        print(f"| {hand} | {len(scores)} | {lines:.2f} | {shares} | {sum(s.is_surely_wrong for s in scores)} |")
    return 1 if any(s.is_surely_wrong for s in by_hand["all"]) else 0


if __name__ == "__main__":
    sys.exit(main())
