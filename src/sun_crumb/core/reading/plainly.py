"""Ways of writing a line that say the same as a plainer one: put into the plainer words before the line is taken apart."""

from __future__ import annotations

import re
from functools import cache, lru_cache

from sun_crumb.core.reference import table


@cache
def _short() -> dict[str, str]:
    """Return the words that a hand in a hurry shortens, and no food's name is written like."""
    return {row["short"]: row["words"] for row in table("short_words")}


@cache
def _shortened() -> re.Pattern[str]:
    longest_first = sorted(_short(), key=len, reverse=True)
    words = "|".join(re.escape(k).replace(r"\ ", r"\.?\s+") for k in longest_first)
    return re.compile(rf"(?<![\w-])({words})\b\.?(?![\w'’-])", re.I)


@cache
def _ways(of: str) -> tuple[tuple[re.Pattern[str], str, tuple[str, ...]], ...]:
    """Return the ways of writing of a table in their order: a pattern, what stands in its place, and the words of which one is in every text that it fits,
    so that most texts are not searched for it."""
    return tuple(
        (re.compile(row["pattern"], re.I), row["instead"], tuple(row["holds"].split("|"))) for row in table(of)
    )


def plainly(text: str) -> str:
    """Return *text*, one ingredient line, in plainer words of the same meaning.

    Examples
    --------
    >>> plainly("300ml pot double cream")
    '300ml double cream'
    >>> plainly("Eggs x 3")
    '3 Eggs'
    """
    text = _shortened().sub(lambda found: _short()[re.sub(r"\.?\s+", " ", found[1].lower())], text)
    text = _put_plainly(text, "plain_ways")
    return _COCOA.sub(_by_its_cocoa, text, count=1)


@lru_cache(maxsize=4096)
def counts_plainly(text: str) -> str:
    """Return *text*, a line or a sentence that may tell portions, with its counts in plainer words of the same meaning.

    Examples
    --------
    >>> counts_plainly("between 12 and 16 slices")
    '12-16 slices'
    """
    return _put_plainly(text, "portion_ways")


def _put_plainly(text: str, ways: str) -> str:
    small = text.lower()
    for pattern, instead, needs in _ways(ways):
        for word in needs:
            if word in small:
                text, count = pattern.subn(instead, text, count=1)
                small = text.lower() if count else small
                break
    return text


def _by_its_cocoa(found: re.Match[str]) -> str:
    """Return dark chocolate by the share of cocoa that the pantry knows nearest below it: "dark chocolate (66 %)" is a 60 % one."""
    share = int(found["before"] or found["behind"] or 0)
    known = next((k for k in COCOA_SHARES if share >= k), 0)
    return f"{known}% dark chocolate" if known else found[0]


# The dark chocolates of the pantry, by how much of them is cocoa at least [%].
COCOA_SHARES = (85, 70, 60, 45)
_COCOA = re.compile(
    r"(?:\b(?P<before>4[5-9]|[5-9]\d)\s*%\s*(?:(?:cocoa|cacao)\s+)?)?(?<!milk )(?<!white )\b(?:(?:dark|bitter|bittersweet|plain|semi-?sweet)\s+)?choc(?:olate)?\b(?!\s*(?:chips?|chunks?|drops))"
    r"(?:,?\s*\(?\s*(?:min(?:imum)?\.?|at least|about|around|approx\.?)?\s*(?P<behind>4[5-9]|[5-9]\d)\s*%\s*(?:or (?:more|higher|above)\s*)?(?:cocoa|cacao)?(?:\s+solids)?\s*\)?)?",
    re.I,
)
