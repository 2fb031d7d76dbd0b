"""Speed of the reader: 25 to 2,000 lines, beside a general-purpose line parser, and on hostile text.

The other parser only splits quantity, unit and food; ours also matches the food, weighs it and looks for conflicts.
"""

from __future__ import annotations

import random
import statistics
import sys
import time

from ingreedypy import Ingreedy

from bench.run import BASE, MORE
from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.reading import read_recipe

HOSTILE = {
    "digits": "1 " * 500, "slashes": "1/2/" * 250, "brackets": "(" * 1000, "or": "sugar or " * 110, "plus": "1 cup plus " * 90,
    "one word": "a" * 1000, "dashes": "- " * 500, "units": "cup tsp tbsp g " * 66, "commas": ",;," * 330, "slips": "suggar flouer bananna " * 45,
    "fractions": "½" * 1000, "lines": "1 egg\n" * 166,
    "method": "Cake\nMethod\n" + "2 tbsp a cup 1 " * 66, "long heading": "Frosting (for " + " -" * 490 + "8)",
    # Eight kilobytes each: what grows faster than its text shows there.
    "serves": "serves " * 1140, "cuts": "cut 12 " * 1140 + "\n\n200 g flour\n2 eggs", "numbers": "Mix. " + "12 or " * 1330, "all open": "(" * 8000,
}  # fmt: skip


def milliseconds(text: str, rounds: int) -> float:
    """Return the median time of reading *text* [ms]."""
    found = []
    for _ in range(rounds):
        start = time.perf_counter()
        read_recipe(text, shipped_pantry())
        found.append(1000 * (time.perf_counter() - start))
    return statistics.median(found)


def main() -> int:
    """Print the tables."""
    generator = random.Random(3)
    read_recipe("Warm\n1 cup sugar", shipped_pantry())
    print(f"{'lines':>6} {'median ms':>10} {'lines/s':>9} {'ms a line, x of 25':>19}")
    per_line = None
    for count in (25, 100, 500, 2000):
        # Amounts differ from line to line, so that no line is remembered whole.
        lines = [generator.choice(BASE + MORE).replace("1 ", f"{generator.randint(1, 9)} ", 1) for _ in range(count)]
        took = milliseconds("Bench\n" + "\n".join(lines), 7)
        per_line = per_line or took / count
        print(f"{count:>6} {took:>10.2f} {1000 * count / took:>9.0f} {took / count / per_line:>19.2f}")
    lines = [*BASE, *MORE][:25]
    parser = Ingreedy()
    start = time.perf_counter()
    failed = 0
    for line in lines:
        try:
            parser.parse(line)
        except Exception:  # it raises its grammar's own errors on lines it can't split
            failed += 1
    other = 1000 * (time.perf_counter() - start)
    ours = milliseconds("Bench\n" + "\n".join(lines), 15)
    print(
        f"25 lines: ours {ours:.1f} ms, the general line parser {other:.1f} ms ({other / ours:.1f} times; it gave up on {failed})"
    )
    print("hostile text, ms a kilobyte:")
    for name, text in HOSTILE.items():
        took = milliseconds(f"Bench\n{text}", 3) / (len(text.encode()) / 1000)
        print(f"  {name:<10} {took:>8.1f}")
    return 0


if __name__ == "__main__":
    sys.exit(main())
