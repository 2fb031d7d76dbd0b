"""Whether a line by itself is an item of a list of foods: an amount and a food, or a food and its amount."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Sequence

from sun_crumb.core.reading.food_ends import is_food_with_amount

# So many lines that bear a mark, of which such a share are foods, bear it as items of a list (judgement).
LEAST_MARKED, LEAST_FOODS_SHARE = 3, 0.6


def tells_a_food(said: str) -> bool:
    """Return whether a line holds an amount and a word: "200 g flour", "Ghee ..... 4 tbsp"."""
    return is_food_with_amount(said) or ends_with_amount(said)


def ends_with_amount(said: str) -> bool:
    """Return whether a line is a name and the amount behind it: "medium eggs, 2", "butter, melted | 1 c."."""
    return _AMOUNT_LAST.match(said) is not None


# "Ghee ........ 4 tbsp", "Caster sugar : 100 gm", "Salt : a pinch"
_AMOUNT_LAST = re.compile(
    r"[^\W\d_][^\d]{1,60}?[\s,.:|…=–—-]\s*(?:[\d½¼¾⅓⅔][\d½¼¾⅓⅔./, –-]*\s*[^\W\d_]{0,12}(?: (?:tin|can|pack|jar|tub|bag|block))?|an? (?:pinch|dash|handful))\.?(?:\s*\([^()]*\))?(?:,[^\d]*)?$"
)


def are_foods(said: Sequence[str]) -> bool:
    """Return whether lines are the foods of a list: enough of them, and most with an amount."""
    foods = sum(map(tells_a_food, said))
    return len(said) >= LEAST_MARKED and foods >= LEAST_FOODS_SHARE * len(said)


# A sign or a letter that is no word, alone before what the line says.
SIGN = re.compile(r"^\s*(?P<sign>o(?=\s)|[^\w\s\"'“”‘’([{<½¼¾⅓⅔⅛$€£]{1,4})\s*(?=[\w½¼¾⅓⅔⅛(])")


def mended(
    rows: list[str],
    form: re.Pattern[str],
    plain: Callable[[re.Match[str]], str],
) -> list[str]:
    """Return lines as *plain* has them where their sign is one that the foods of a list bear."""
    found = [form.match(row) for row in rows]
    counted = Counter(one["sign"] for one in found if one)
    are_items = {
        mark
        for mark, count in counted.items()
        if count >= LEAST_MARKED
        and are_foods([plain(one).removeprefix("• ") for one in found if one and one["sign"] == mark])
    }
    return [plain(one) if one and one["sign"] in are_items else row for row, one in zip(rows, found, strict=True)]
