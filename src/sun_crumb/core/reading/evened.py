"""Marks that many lines of a text bear alike, whatever they are, put as plain ones before any line is read by itself."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Sequence

from sun_crumb.core.reading.food_ends import is_food_with_amount

# So many lines that bear a mark, of which such a share are foods, bear it as items of a list (judgement).
LEAST_MARKED, LEAST_FOODS_SHARE = 3, 0.6
# So many lines quoted are a letter that is quoted (judgement).
LEAST_QUOTED = 3
_BLANKS = re.compile("[\u00a0\u2000-\u200a\u202f\u205f\u3000]")
# "•\t200 g flour": a tab behind what marks an item divides no cells.
_TAB_BEHIND = re.compile(r"^(\s*[-*•·–—+○◦▪])\t+")
_QUOTE = re.compile(r"^\s*(?:[>|]\s?)+(?![-=])")
# A sign or a letter that is no word, alone before what the line says.
_SIGN = re.compile(r"^\s*(?P<sign>o|[^\w\s\"'“”‘’([{<½¼¾⅓⅔⅛$€£]{1,4})\s*(?=[\w½¼¾⅓⅔⅛(])")
_NUMBER = re.compile(
    r"^\s*(?P<open>[(\[]?)(?P<number>\d{1,2})(?P<close>\s*[)\].:]|\s+[-–—|])\s*[-–—]?\s*(?=[\w½¼¾⅓⅔⅛(])"
)
_WRAPPED = re.compile(
    r"^\s*(?P<sign>\*{1,3}|_{1,2}|~{1,2}|`|\"|“|\()(?P<said>[^*_`~“”\"]+?)(?:\*{1,3}|_{1,2}|~{1,2}|`|\"|”|\))\s*$"
)


def evened(rows: Sequence[str]) -> list[str]:
    """Return the lines of a text with blanks of every kind as plain ones, quotation marks of a letter taken off, and each sign that begins the foods of a list as a dot.

    Parameters
    ----------
    rows
        The lines of a text in their order.

    Examples
    --------
    >>> evened(["Tart", ":: 200 g flour", ":: 100 g butter", ":: 1 egg"])
    ['Tart', '• 200 g flour', '• 100 g butter', '• 1 egg']
    """
    told = _unquoted([_TAB_BEHIND.sub(r"\1 ", _BLANKS.sub(" ", row)) for row in rows])
    for mend in (_unwrapped, _counted, _headed, _signed):
        told = mend(told)
    return told


def _unquoted(rows: list[str]) -> list[str]:
    quoted = [row for row in rows if _QUOTE.match(row) and not row.rstrip().endswith("|")]
    written = sum(bool(row.strip()) for row in rows)
    is_letter = len(quoted) >= max(LEAST_QUOTED, written / 2) and sum(
        row.lstrip().startswith(">") for row in quoted
    ) == len(quoted)
    return [_QUOTE.sub("", row) if is_letter else row for row in rows]


def _are_foods(said: Sequence[str]) -> bool:
    foods = sum(is_food_with_amount(one) for one in said)
    return len(said) >= LEAST_MARKED and foods >= LEAST_FOODS_SHARE * len(said)


def _unwrapped(rows: list[str]) -> list[str]:
    """Return lines without the emphasis that all foods of a list stand in: "**200 g flour**"."""
    return _mended(rows, _WRAPPED, lambda found: found["said"].strip())


def _signed(rows: list[str]) -> list[str]:
    """Return lines with the sign that begins the foods of a list as a dot: ":: 200 g flour"."""
    return _mended(
        rows,
        _SIGN,
        lambda found: found.string if found["sign"] in _USUAL else f"• {found.string[found.end() :]}",
    )


_USUAL = frozenset("-*•–—+")


def _headed(rows: list[str]) -> list[str]:
    """Return lines with a colon behind each name that a sign of its own marks over the items of a list: "▷ case" over "▸ 150 g flour"."""
    found = [_SIGN.match(row) for row in rows]
    counted = Counter(one["sign"] for one in found if one)
    told = list(rows)
    for n, one in enumerate(found[:-1]):
        below = found[n + 1]
        if one is None or below is None or below["sign"] == one["sign"] or counted[below["sign"]] < LEAST_MARKED:
            continue
        name, item = rows[n][one.end() :].strip(), rows[n + 1][below.end() :]
        is_name = len(name.split()) <= MOST_NAME and not re.search(r"[\d:.]", name) and name[-1:].isalpha()
        if is_name and counted[one["sign"]] < counted[below["sign"]] and is_food_with_amount(item):
            told[n] = f"{name}:"
    return told


# A name over a list has so many words.
MOST_NAME = 4


def _mended(
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
        and _are_foods([plain(one).removeprefix("• ") for one in found if one and one["sign"] == mark])
    }
    return [plain(one) if one and one["sign"] in are_items else row for row, one in zip(rows, found, strict=True)]


def _counted(rows: list[str]) -> list[str]:
    """Return lines with the numbers that count the foods of a list as dots: "(1) 200 g flour", "(2) 100 g butter"."""
    told = list(rows)
    run: list[int] = []
    found = [_NUMBER.match(row) for row in rows]
    for n, one in [*enumerate(found), (len(rows), None)]:
        last = found[run[-1]] if run else None
        goes_on = one is not None and (
            last is None or (int(one["number"]) == int(last["number"]) + 1 and one["close"] == last["close"])
        )
        if goes_on:
            run.append(n)
            continue
        if n < len(rows) and one is None and not run:
            continue
        if n < len(rows) and one is None and not is_food_with_amount(rows[n]):
            continue  # an empty line, a heading between two lists
        ends = [(k, m.end()) for k in run if (m := found[k]) is not None]
        if _are_foods([rows[k][end:] for k, end in ends]):
            for k, end in ends:
                told[k] = f"• {rows[k][end:]}"
        run = [n] if one is not None else []
    return told
