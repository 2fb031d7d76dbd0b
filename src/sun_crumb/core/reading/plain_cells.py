"""Rows of tables without a head that says enough, put plainly: the baker's per cent beside each weight, and "Butter;250;g"."""

from __future__ import annotations

import re

from sun_crumb.core.reading.dessert_words import ASKS_THE_NAME
from sun_crumb.core.reading.food_ends import begins_food, foods_apart
from sun_crumb.core.reading.headings import names_a_part
from sun_crumb.core.reading.items import LEAST_MARKED

# "Sugar 15% 90 g", "Sugar 90 g (15 %)": the baker's per cent beside the weight
_SHARE_FIRST = re.compile(
    r"(?<=[^\W\d_)])[ \t:,–-]*\b\d{1,3}(?:[.,]\d+)?\s?%(?=[ \t,;|/=–-]+\d[\d.,]*\s?(?:g|kg|ml)\b)"
)
_SHARE_LAST = re.compile(r"(?<=\d|g|l)[ \t,;/–-]+\(?\d{1,3}(?:[.,]\d+)?\s?%\)?(?=\s*$)")


def without_shares(rows: list[str]) -> list[str]:
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


# "Butter;250;g": a food, how much, and of what, without a head over the columns
_CELLS = re.compile(
    r"^\s*\"?(?P<name>[^\W\d_][^;|\"\d]{1,40}?)\"?\s*(?P<sign>[;,|])\s*(?P<amount>\d[\d.]*|\d+,\d+)\s*(?P=sign)\s*(?P<unit>g|kg|ml|l|tsp|tbsp|cups?|oz|lb|pcs?|pieces?)?\s*(?:(?P=sign)\s*(?P<note>[^;|]*?))?\s*$",
    re.I,
)


def in_cells(rows: list[str]) -> list[str]:
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


# "Recipe,Double ginger biscuits,,", "Yield,24 biscuits,,", "For: 8"
_FIELD = re.compile(
    r"^\s*(?P<asks>recipe|title|name|yield|serves|servings|makes|portions|oven|time|temp(?:erature)?|source)\s*[,;]\s*(?=\w)(?P<told>.*?)[,;\s]*$",
    re.I,
)
_FOR = re.compile(r"^\s*(?:for|pour|für|per|para|för|til|voor)\s*:\s*(?=\d{1,2}\b(?!\s*(?:g|ml|kg)\b))", re.I)
# "Date: ____  Name of dish: Gooseberry Fool   For: 6"
_FORM = re.compile(
    r"^.{0,60}?\b"
    + rf"(?:{ASKS_THE_NAME}|title)"
    + r"\s*:\s*(?P<name>[^:\t]{3,60}?)\s{2,}(?:[^:]{2,20}:\s*[^:]{0,20}\s{2,})*?(?:for|serves|makes|portions|yield)\s*:?\s*(?P<count>\d{1,3})\b.*$",
    re.I,
)


# "Ingredients:      Walnut layer cake      Directions:"
_BETWEEN_HEADS = re.compile(
    r"^\s*(?:ingredients|you need)\s*:?\s{3,}(?P<name>[^\W\d_][^\d:]{3,50}?)\s{3,}(?:directions|method|instructions|how)\s*:?\s*$",
    re.I,
)


def _in_one_form(row: str) -> str:
    """Return a line that asks for the dessert's name and for how many it is with what it is told alone: "Gooseberry Fool - serves 6"."""
    if between := _BETWEEN_HEADS.match(row):
        return between["name"]
    form = _FORM.match(row)
    is_all = form is not None and not re.search(r"\b(?:oven|temp|bake)\b", row, re.I)
    return f"{form['name'].strip(' _')} - serves {form['count']}" if form and is_all else row


_SO_MANY = re.compile(r"\s*(?:two|three|four|five|six|eight|ten|twelve|sixteen)\s*", re.I)
# "For 6; make the day before"
_FOR_FIRST = re.compile(r"^\s*for\s+(?=\d{1,2}\s*[;.,]\s+[a-z])", re.I)
# So many fields are the head of a table (judgement).
LEAST_FIELDS = 2


def in_fields(rows: list[str]) -> list[str]:
    """Return the fields over a table that commas divide with a colon each ("Yield,24 biscuits,," as "Yield: 24 biscuits"), and for how many with its word ("For: 8")."""
    found = [_FIELD.match(row) for row in rows]
    told = [_FOR.sub("Serves: ", _in_one_form(row)) for row in rows]
    told = [_FOR_FIRST.sub("Serves ", row) for row in told]
    written = [n for n, row in enumerate(rows) if row.strip()]
    if len(written) > 1 and _SO_MANY.fullmatch(rows[written[1]]):
        told[written[1]] = f"Serves: {rows[written[1]].strip()}"  # "six", below the name
    if sum(one is not None for one in found) < LEAST_FIELDS:
        return told
    return [f"{one['asks']}: {one['told']}" if one else row for row, one in zip(told, found, strict=True)]


# "plain flour            225", under "g"
_UNIT_OVER = re.compile(r"\s*(?:in\s+)?(?P<unit>g|gr|gms?|grams?|grammes|ml|oz)\s*:?\s*", re.I)
_BARE_BEHIND = re.compile(
    r"^\s*(?P<name>[^\W\d_][^|\t]{1,40}?)(?:\s{2,}|\s*[|\t]\s*|\s*\.{3,}\s*)(?P<number>\d+(?:[.,]\d+)?)\s*$"
)


def under_a_unit(rows: list[str]) -> list[str]:
    """Return the rows of a table whose numbers stand bare under a unit by itself with that unit behind each: "plain flour      225", under "g"."""
    head = next((n for n, row in enumerate(rows) if _UNIT_OVER.fullmatch(row)), None)
    if head is None:
        return _under_named_units(rows)
    found = [_BARE_BEHIND.match(row) if n > head else None for n, row in enumerate(rows)]
    if sum(one is not None for one in found) < LEAST_MARKED:
        return rows
    unit = rows[head].strip(" :").lower().removeprefix("in ")
    told = [f"{one['name']}   {one['number']} {unit}" if one else row for row, one in zip(rows, found, strict=True)]
    return [*told[:head], "---", *told[head + 1 :]]


def _under_named_units(rows: list[str]) -> list[str]:
    """Return rows whose numbers stand bare under a part's name and a unit beside it ("Sauce              g") with that unit behind each."""
    unit, told, count = "", list(rows), 0
    for n, row in enumerate(rows):
        if named := _UNIT_BESIDE.fullmatch(row):
            unit, told[n] = named["unit"].lower(), named["name"].rstrip(" :") + ":"
        elif not row.strip():
            unit = unit if n + 1 < len(rows) and _BARE_BEHIND.match(rows[n + 1]) else ""
        elif unit and (one := _BARE_BEHIND.match(row)):
            told[n], count = f"{one['name']}   {one['number']} {unit}", count + 1
    return told if count >= LEAST_MARKED else rows


_UNIT_BESIDE = re.compile(r"\s*(?P<name>[^\W\d_][^\d|:]{2,30}?):?\s{3,}(?P<unit>g|gr|gms?|grams?|ml|oz)\s*", re.I)
# "Pastry: 250 g puff", "Apples: 7"
_LABELLED = re.compile(r"^\s*[-•*]?\s*(?P<label>[^\W\d_][^\W\d_ ]{2,16}(?: [a-z]+)?)\s*:\s+(?P<told>\S.*)$")
# Labels of foods that a part may be called by too.
_KINDS = frozenset({"sugar", "sugars", "chocolate", "fruit", "cream"})
# What is bought as it is: below "Base: 200 g biscuits" its butter may follow.
_BOUGHT_PART = frozenset({"pastry", "case", "pastry case"})
# So many foods by their labels below a part's are the rest of one form, and not of that part (judgement).
LEAST_LABELLED = 2


def in_one_form(rows: list[str]) -> list[str]:
    """Return the lines of a form that tells each food behind its label without the label of a part that holds one food: "Pastry: 250 g puff" over "Apples: 7" and "Sugar: 120 g"."""
    found = [_LABELLED.match(row) for row in rows]
    told = list(rows)
    for n, one in enumerate(found):
        below = [later for later in found[n + 1 : n + 1 + LEAST_LABELLED] if later]
        is_part = one is not None and one["label"].lower() in _BOUGHT_PART and len(below) == LEAST_LABELLED
        # "Filling: 4 eggs": parts all, each with its foods
        if one is None or not is_part or not begins_food(one["told"]) or len(foods_apart(one["told"])) > 1:
            continue
        labels = [later["label"].lower() for later in below if begins_food(later["told"])]
        are_parts = any(names_a_part(label) and label not in _KINDS for label in labels)
        if not are_parts:
            told[n] = one["told"]
    return told
