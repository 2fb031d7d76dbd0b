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
    r"^\s*(?P<open>[(\[]?)(?P<number>\d{1,2})(?P<close>\s*[)\]:]|\s*\.(?!\d)|\s+[-–—|])\s*[-–—]?\s*(?=[\w½¼¾⅓⅔⅛(])"
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
    for mend in (
        _unspoken,
        _in_cells,
        _without_shares,
        _uncounted,
        _unwrapped,
        _counted,
        _in_order,
        _signed_behind,
        _named_apart,
        _headed,
        _signed,
    ):
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
_SHARE_FIRST = re.compile(
    r"(?<=[^\W\d_)])[ \t:,–-]*\b\d{1,3}(?:[.,]\d+)?\s?%(?=[ \t,;|/=–-]+\d[\d.,]*\s?(?:g|kg|ml)\b)"
)
_SHARE_LAST = re.compile(r"(?<=\d|g|l)[ \t,;/–-]+\(?\d{1,3}(?:[.,]\d+)?\s?%\)?(?=\s*$)")


def _without_shares(rows: list[str]) -> list[str]:
    """Return lines without the baker's per cent of each, where the weight stands beside it and one of them is the whole."""
    for form in (_SHARE_FIRST, _SHARE_LAST):
        found = [form.search(row) for row in rows]
        if sum(one is not None for one in found) >= LEAST_MARKED and any(one and "100" in one[0] for one in found):
            return [row[: one.start()] + row[one.end() :] if one else row for row, one in zip(rows, found, strict=True)]
    heads = [row for row in rows if "%" in row and not re.search(r"\d", row)]
    found = [_BARE_LAST.search(row) for row in rows]
    if (
        heads
        and sum(one is not None for one in found) >= LEAST_MARKED
        and any(one and one[1] == "100" for one in found)
    ):
        return [
            row[: one.start()] if one else _without_its_last(row) if row in heads else row
            for row, one in zip(rows, found, strict=True)
        ]
    return rows


def _without_its_last(head: str) -> str:
    """Return the head of a table without what its last column is called."""
    *_, last = [0, *(gap.start() for gap in _GAPS.finditer(head.rstrip(" |")))]
    return head[:last] if last else head


_GAPS = re.compile(r"\s{2,}|[|\t]")
# "Oats    60 g    20", under "%"
_BARE_LAST = re.compile(r"(?<=\d|g)(?:\s{2,}|\s*[|\t]\s*)(\d{1,3}(?:[.,]\d+)?)\s*\|?\s*$")


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


def _tells_a_food(said: str) -> bool:
    return is_food_with_amount(said) or _AMOUNT_LAST.match(said) is not None


# "Ghee ........ 4 tbsp", "Caster sugar : 100 gm", "Salt : a pinch"
_AMOUNT_LAST = re.compile(
    r"[^\W\d_][^\d]{1,60}?[\s,.:…=–—-]\s*(?:[\d½¼¾⅓⅔][\d½¼¾⅓⅔./, –-]*\s*[^\W\d_]{0,8}(?: (?:tin|can|pack|jar|tub|bag|block))?|an? (?:pinch|dash|handful))\.?(?:\s*\([^()]*\))?(?:,[^\d]*)?$"
)


def _are_foods(said: Sequence[str]) -> bool:
    foods = sum(map(_tells_a_food, said))
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


# "On the lattice ---"
_SIGN_BEHIND = re.compile(
    r"^\s*(?P<name>[^\W\d_][^\d.:;,]{2,30}?)\s*(?P<sign>-{2,}|–{2,}|—+|={2,}|~{2,}|\.{3}|…|>{1,2}|[-=]+>)\s*$"
)


def _signed_behind(rows: list[str]) -> list[str]:
    """Return lines with a colon behind each name that the same sign follows as it does over other foods: "Nut pastry ---"."""
    found = [_SIGN_BEHIND.match(row) for row in rows]
    heads = Counter(
        one["sign"][:1]
        for n, one in enumerate(found[:-1])
        if one and _tells_a_food(_MARK.sub("", rows[n + 1])) and not _tells_a_food(rows[n])
    )
    signs = {sign for sign, many in heads.items() if many > 1}
    return [
        f"{one['name']}:" if one and one["sign"][:1] in signs else row for row, one in zip(rows, found, strict=True)
    ]


def _named_apart(rows: list[str]) -> list[str]:
    """Return lines with a colon behind each name in brackets, or behind a letter, that stands by itself over a food: "(sponge)", "B. Sharbat"."""
    told = list(rows)
    for n, row in enumerate(rows[:-1]):
        named = _BRACKETED.match(row) or _LETTERED.match(row)
        stands_alone = n > 0 and not rows[n - 1].strip()
        if named and stands_alone and _tells_a_food(_MARK.sub("", rows[n + 1])):
            told[n] = f"{named['name']}:"
    return told


_BRACKETED = re.compile(r"\s*[(\[]\s*(?P<name>[^\W\d_][^\d()\[\]:;,.]{2,24}?)\s*[)\]]\s*:?\s*$")
_LETTERED = re.compile(r"\s*[A-H][.)]\s+[*_]{0,2}(?P<name>[^\W\d_][^\d()\[\]:;,.]{2,24}?)[*_]{0,2}\s*:?\s*$")
_MARK = re.compile(r"^\s*[^\w\s½¼¾⅓⅔⅛(]{1,3}\s*")


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
    found = [_NUMBER.match(row) for row in rows]
    runs = [
        run for run in _runs(found, rows) if len(run) > 1 or (found[run[0]] or [""])[0].lstrip(" ([").startswith("0")
    ]
    listed = [run for run in runs if 2 * sum(map(_tells_a_food, _said(run, found, rows))) >= len(run)]
    items = {n: said for run in listed for n, said in zip(run, _said(run, found, rows), strict=True)}
    return (
        [f"• {items[n]}" if n in items else row for n, row in enumerate(rows)]
        if _are_foods([*items.values()])
        else rows
    )


# "Butter;250;g": a food, how much, and of what, without a head over the columns
_CELLS = re.compile(
    r"^\s*\"?(?P<name>[^\W\d_][^;|\"\d]{1,40}?)\"?\s*(?P<sign>[;,|])\s*(?P<amount>\d[\d.]*|\d+,\d+)\s*(?P=sign)\s*(?P<unit>g|kg|ml|l|tsp|tbsp|cups?|oz|lb|pcs?|pieces?)?\s*(?:(?P=sign)\s*(?P<note>[^;|]*?))?\s*$",
    re.I,
)


def _in_cells(rows: list[str]) -> list[str]:
    """Return the rows of a table without a head, of name, number and unit, each as a statement: "Butter;250;g" as "250 g Butter"."""
    found = [_CELLS.match(row) for row in rows]
    if sum(one is not None for one in found) < LEAST_MARKED:
        return rows
    units = sum(one is not None and bool(one["unit"]) for one in found)
    if units < LEAST_MARKED:
        return rows
    return [_cell_by_cell(one) if one else row for row, one in zip(rows, found, strict=True)]


def _cell_by_cell(row: re.Match[str]) -> str:
    unit = "" if (row["unit"] or "").lower() in ("pc", "pcs", "piece", "pieces") else row["unit"] or ""
    note = row["note"] or ""
    is_price = re.fullmatch(r"[€$£]?\s*\d+[.,]\d\d\s*[€$£]?", note) is not None
    return " ".join(part for part in (row["amount"], unit, row["name"]) if part) + (
        f", {note}" if note and not is_price else ""
    )


# "First: 150 g pudding rice"
_ORDINAL = re.compile(
    r"^\s*(?P<sign>)(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|1st|2nd|3rd|[4-9]th|1[0-9]th)\s*[:.),–—-]\s*(?=[\w½¼¾⅓⅔])",
    re.I,
)


def _in_order(rows: list[str]) -> list[str]:
    """Return lines without the words that count the foods of a list: "First: 150 g rice", "Second: 1 litre milk"."""
    return _mended(rows, _ORDINAL, lambda found: f"• {found.string[found.end() :]}")


def _said(run: list[int], found: list[re.Match[str] | None], rows: list[str]) -> list[str]:
    return [rows[n][one.end() :] for n in run if (one := found[n]) is not None]


def _runs(found: list[re.Match[str] | None], rows: list[str]) -> list[list[int]]:
    """Return the lines that one number after the other counts, from one on; an empty line or a heading between them ends none."""
    runs: list[list[int]] = []
    for n, one in enumerate(found):
        if one is None:
            if rows[n].strip() and is_food_with_amount(rows[n]):
                runs.append([])
            continue
        last = found[runs[-1][-1]] if runs and runs[-1] else None
        goes_on = last is not None and int(one["number"]) == int(last["number"]) + 1 and one["close"] == last["close"]
        if goes_on:
            runs[-1].append(n)
        else:
            runs.append([n])
    return [run for run in runs if run]
