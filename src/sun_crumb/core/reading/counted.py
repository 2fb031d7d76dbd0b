"""Numbers that count the lines of a text, or the foods of its list, taken off: "1. Tart", "(2) 100 g butter", "Third: 80 g sugar"."""

from __future__ import annotations

import re

from sun_crumb.core.reading.food_ends import is_food_with_amount
from sun_crumb.core.reading.items import are_foods, mended, tells_a_food

_NUMBER = re.compile(
    r"^\s*(?P<open>[(\[]?)(?P<number>\d{1,2})(?P<close>\s*[)\]:]|\s*\.(?!\d)|\s+[-–—|])\s*[-–—]?\s*(?=[\w½¼¾⅓⅔⅛(])"
)


def uncounted(rows: list[str]) -> list[str]:
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


def without_counts(rows: list[str]) -> list[str]:
    """Return lines with the numbers that count the foods of a list as dots: "(1) 200 g flour", "(2) 100 g butter"."""
    found = [_NUMBER.match(row) for row in rows]
    runs = [
        run for run in _runs(found, rows) if len(run) > 1 or (found[run[0]] or [""])[0].lstrip(" ([").startswith("0")
    ]
    listed = [run for run in runs if 2 * sum(map(tells_a_food, _said(run, found, rows))) >= len(run)]
    items = {n: said for run in listed for n, said in zip(run, _said(run, found, rows), strict=True)}
    return (
        [f"• {items[n]}" if n in items else row for n, row in enumerate(rows)] if are_foods([*items.values()]) else rows
    )


# "First: 150 g pudding rice"
_ORDINAL = re.compile(
    r"^\s*(?P<sign>)(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|1st|2nd|3rd|[4-9]th|1[0-9]th)\s*[:.),–—-]\s*(?=[\w½¼¾⅓⅔])",
    re.I,
)


# "[1] 250 g flour", "[2] 3 eggs": which bowl they go in
_GROUPED = re.compile(r"^\s*(?P<sign>[\[(](?P<number>\d)[\])])\s*(?=[\w½¼¾⅓⅔⅛])")


def without_groups(rows: list[str]) -> list[str]:
    """Return lines without the numbers in brackets that several foods share: the bowl they go in, and no count."""
    found = [_GROUPED.match(row) for row in rows]
    numbers = [one["number"] for one in found if one]
    said = [row[one.end() :] for row, one in zip(rows, found, strict=True) if one]
    if len(set(numbers)) == len(numbers) or numbers != sorted(numbers) or not are_foods(said):
        return rows
    return [f"• {row[one.end() :]}" if one else row for row, one in zip(rows, found, strict=True)]


# "A: 100 g butter", "B: 2 eggs; 80 g sugar": which bowl they go in
_SMALL_LETTER = re.compile(r"^\s*(?P<letter>[a-k])[.)]\s+(?=[\w½¼¾⅓⅔⅛])")
_LETTER = re.compile(r"^\s*(?P<letter>[A-H])\s*(?:[:.)=]|\s[-–—])\s*(?=[\d½¼¾⅓⅔⅛]|an?\s|pinch\b)")


def without_letters(rows: list[str]) -> list[str]:
    """Return lines without the letters that mark, from A on, which bowl the foods of each go in, or count the foods of a list: "a. 400 ml cream"."""
    told = list(rows)
    for form, first in ((_LETTER, "A"), (_SMALL_LETTER, "a")):
        found = [(n, one) for n, row in enumerate(rows) if (one := form.match(row))]
        letters = [one["letter"] for _, one in found]
        said = [rows[n][one.end() :] for n, one in found]
        is_counted = letters == [chr(ord(first) + n) for n in range(len(letters))]
        if is_counted and len(found) >= LEAST_LETTERED and (first == "A" or are_foods(said)):
            for n, one in found:
                told[n] = rows[n][one.end() :]
    return told


# So many bowls, at least, are lettered (judgement).
LEAST_LETTERED = 2


def in_order(rows: list[str]) -> list[str]:
    """Return lines without the words that count the foods of a list: "First: 150 g rice", "Second: 1 litre milk"."""
    return mended(rows, _ORDINAL, lambda found: f"• {found.string[found.end() :]}")


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
