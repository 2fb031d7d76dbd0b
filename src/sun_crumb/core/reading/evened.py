"""Marks that many lines of a text bear alike, whatever they are, put as plain ones before any line is read by itself."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Sequence

from sun_crumb.core.reading.food_ends import is_food_with_amount
from sun_crumb.core.reading.scanned import figures_again

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
    told = _unquoted([figures_again(_TAB_BEHIND.sub(r"\1 ", _BLANKS.sub(" ", row))) for row in rows])
    for mend in (_unspoken, _without_shares, _uncounted, _unwrapped, _counted, _headed, _signed):
        told = mend(told)
    return told


def _unquoted(rows: list[str]) -> list[str]:
    quoted = [row for row in rows if _QUOTE.match(row) and not row.rstrip().endswith("|")]
    written = sum(bool(row.strip()) for row in rows)
    is_letter = len(quoted) >= max(LEAST_QUOTED, written / 2) and sum(
        row.lstrip().startswith(">") for row in quoted
    ) == len(quoted)
    return [_QUOTE.sub("", row) if is_letter else row for row in rows]


# "Sanna: 2 dl sugar": who says it
_SAYS = re.compile(r"^\s*(?P<name>[A-Z][\w .'’-]{0,24}?)\s*:\s+(?=\S)")


def _unspoken(rows: list[str]) -> list[str]:
    """Return lines without the name of who says each of them, where one or two say nearly all."""
    found = [_SAYS.match(row) for row in rows]
    written = sum(bool(row.strip()) for row in rows)
    says = {name for name, many in Counter(one["name"] for one in found if one).items() if many >= LEAST_MARKED}
    said = [one is not None and one["name"] in says for one in found]
    if sum(said) < max(LEAST_MARKED, MOST_SPOKEN * written):
        return rows
    return [row[one.end() :] if one and is_said else row for row, one, is_said in zip(rows, found, said, strict=True)]


# Where such a share of the lines begins with a name, it is who says them (judgement).
MOST_SPOKEN = 0.7
# "Sugar 15% 90 g", "Sugar 90 g (15 %)": the baker's per cent beside the weight
_SHARE_FIRST = re.compile(r"(?<=[^\W\d_)])[ \t:,–-]*\b\d{1,3}(?:[.,]\d+)?\s?%(?=[ \t,;|/=–-]+\d[\d.,]*\s?(?:g|kg|ml)\b)")
_SHARE_LAST = re.compile(r"(?<=\d|g|l)[ \t,;/–-]+\(?\d{1,3}(?:[.,]\d+)?\s?%\)?(?=\s*$)")


def _without_shares(rows: list[str]) -> list[str]:
    """Return lines without the baker's per cent of each, where the weight stands beside it and one of them is the whole."""
    for form in (_SHARE_FIRST, _SHARE_LAST):
        found = [form.search(row) for row in rows]
        if sum(one is not None for one in found) >= LEAST_MARKED and any(one and "100" in one[0] for one in found):
            return [row[: one.start()] + row[one.end() :] if one else row for row, one in zip(rows, found, strict=True)]
    return rows


def _uncounted(rows: list[str]) -> list[str]:
    """Return lines without the numbers that count every one of them, the name and the steps too."""
    written = [n for n, row in enumerate(rows) if row.strip()]
    found = [_NUMBER.match(rows[n]) for n in written]
    is_counted = len(written) >= LEAST_COUNTED and all(
        one is not None and int(one["number"]) == n for n, one in enumerate(found, 1)
    )
    told = list(rows)
    for n, one in zip(written, found, strict=True) if is_counted else ():
        told[n] = rows[n][one.end() :] if one else rows[n]
    return told


# So many lines, every one with its number, are counted throughout (judgement).
LEAST_COUNTED = 6


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
