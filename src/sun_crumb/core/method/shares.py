"""How much of a line a step takes: all of it, a part told or not, a yolk, what was not set aside."""

from __future__ import annotations

import re

from sun_crumb.core.method.account import USED_UP, Account
from sun_crumb.core.method.how_much import share_of
from sun_crumb.core.method.mentions import KEPT_BACK
from sun_crumb.core.method.said import Said

# By common practice: a yolk's and a white's part of an egg without its shell.
YOLK, WHITE = 0.34, 0.66
# "a third of the flour, then half the milk, and so on until all is used": all of both, by turns.
_REPEATED = re.compile(
    r"\brepeat\b|\band so on\b|\buntil (?:all|everything|it|both)\b[^.;]{0,12}\b(?:used|gone|in|incorporated)\b|\balternat\w+\b",
    re.I,
)
# "Keep back 100 ml.": of what the sentence before tells.
_KEEPS_SO_MUCH = re.compile(
    r"\b(?:(?:keep|hold|set|put)\s+(?:back|aside)|reserve)\s+(?:about\s+)?(?:[\d½¼¾⅓⅔]|an?\b|some\b)[^.,;]{0,24}", re.I
)
# "enough egg and milk to make a dough, keeping a tablespoon back"
_KEEPS_A_LITTLE = re.compile(
    r"\b(?:keep|hold|sav|reserv|leav)(?:e|ing)?\s+(?:back\s+)?(?:about\s+)?(?:an?\s+|1\s+|some\b|the last\s+)(?:little|tablespoon|tbsp|teaspoon|tsp|spoonful|handful|few|bit|drop)?",
    re.I,
)


def share_taken(account: Account, k: int, n: int, said: Said) -> float:
    if said.amount is not None:
        share = share_of(said, account.names, k)
        return 1.0 if share is None else share
    if said.part == "whole" and k in account.reserved and account.left[k] > 1 - USED_UP:
        return 1 - account.reserved[k]
    part = said.phrase[-1]
    food = account.lines[k].ingredient
    if part in ("yolk", "white") and food is not None and food.key == "egg":
        return YOLK if part == "yolk" else WHITE
    if said.part == "share" and _REPEATED.search(account.clauses[n].text):
        return 1.0
    if said.part == "whole" and _is_divided_later(account, k, n):
        return 1 - KEPT_BACK if _KEEPS_A_LITTLE.search(account.clauses[n].text) else 0.5
    return said.share


def _is_divided_later(account: Account, k: int, n: int) -> bool:
    """Return whether a later step takes the rest of a line of which this one tells no part."""
    if any(
        (kept := _KEEPS_SO_MUCH.search(account.clauses[at].text))
        and not any(kept.start() <= s.start < kept.end() for s in account.said[at])
        for at in range(n, min(n + 2, len(account.clauses)))
    ):
        return False  # all of it is made ready here, and then divided
    later: list[Said] = []
    for s in (s for at in range(n + 1, len(account.said)) for s in account.said[at] if k in s.lines):
        if s.part in ("share", "amount", "most", "little"):
            break  # of that one the rest is meant
        if s.part == "rest":
            later.append(s)
    others = [
        j
        for s in later
        for j in s.lines
        if j != k and account.left[j] > USED_UP and account.lines[j].component == account.lines[k].component
    ]
    return bool(later) and not others and account.left[k] > 1 - USED_UP
