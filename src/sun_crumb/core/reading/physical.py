"""The lines of a pasted text taken into statements: cells of tables and columns, foods that run on in one line."""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass, replace

from sun_crumb.core.reading.all_in_one import all_in_one, named_then_told
from sun_crumb.core.reading.amount_first import amount_first
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.bare_lines import bare_line
from sun_crumb.core.reading.divided import divided
from sun_crumb.core.reading.evened import evened
from sun_crumb.core.reading.food_ends import AMOUNT_BEHIND, begins_food, foods_apart, is_food_with_amount
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.portion_asides import bare_count
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.remembered import remembered
from sun_crumb.core.reading.run_on import LEADS_THE_LIST, run_on
from sun_crumb.core.reading.tables import GAP, Head, columns_of, head_of, is_row, plain_row, row_of
from sun_crumb.core.reading.words import word_list

_BREAK = re.compile(r"\r\n|[\n\r\u2028\u2029\v\f]")
_LETTER = re.compile(r"[^\W\d_]")
_BAR = re.compile(r"\s*[|\t\u2502\u00a6]\s*")
_RULE = re.compile(r"[-=_*~+·•.\s|:]{3,}$")
# So many cells a row may have; a recipe in one row holds all its foods [1].
MOST_CELLS = 60


@dataclass(frozen=True, slots=True)
class Physical:
    """One line of the text as it stands; ``number`` counts from 0, ``gap`` says that an empty line stands before it, ``is_first`` that no letter does, ``is_row`` that commas divide its cells,
    ``head`` what the columns of its table are, where it stands in one, ``shown`` the line with the marks that all of a list bear,
    ``role`` what it is where its column tells."""

    number: int
    raw: str
    gap: bool = False
    is_first: bool = False
    is_row: bool = False
    head: Head | None = None
    shown: str = ""
    role: Role | None = None


@dataclass(frozen=True, slots=True)
class Statement:
    """What one line, or one cell or part of it, says; ``raw`` with its marks, ``text`` without."""

    line: Physical
    raw: str
    text: str


def physical_lines(text: str) -> list[Physical]:
    """Return every line of *text*, empty ones too, in order: joined by line ends they are the text."""
    found: list[Physical] = []
    gap, is_first = False, True
    shown = _BREAK.split(text)
    rows = evened(shown)
    columns = columns_of(next((raw for raw in rows if raw.strip()), ""))
    head: Head | None = None
    for number, raw in enumerate(rows):
        columns = columns if raw.strip() else 0  # an empty line ends a table
        columns = columns or columns_of(raw)
        head = (head_of(raw) or head) if raw.strip() else None
        has_letter = is_first and _LETTER.search(raw) is not None
        found.append(Physical(number, raw, gap, has_letter, is_row(raw, columns), head, shown[number]))
        gap, is_first = not raw.strip(), is_first and not has_letter
    return found


def statements_of(line: Physical) -> list[Statement]:
    """Return what a line says: one statement, or one for each food where it holds several."""
    raw = "|".join(row_of(line.raw)) if line.is_row else line.raw
    part, raw = plain_row(raw, line.head) if line.head else ("", raw)
    found = [
        # "CHOCOLATE MOUSSE * SIX POTS": what stands beside the name
        Statement(_beside_the_name(line, text) if n and line.is_first else line, part, text)
        for n, (part, text) in enumerate(_parts(raw, line.is_first))
    ]
    return [Statement(line, part, part), *found] if part and found else found


def _beside_the_name(line: Physical, text: str) -> Physical:
    """Return a text's first line with the role of what stands beside the dessert's name: how many, or the name of a site."""
    if bare_count(text) or _SO_MANY_CUPS.fullmatch(text) or _TELLS.match(text):
        return replace(line, role="portions")
    if _IN_FEW_WORDS.fullmatch(text) and len(_name_and_told(line.raw)) > 1:
        return replace(line, role="chatter")  # "easy", beside how many
    return replace(line, role="chatter") if "|" in line.raw and not re.search(r"\d", line.raw) else line


@remembered
def _parts(line: str, is_first: bool) -> tuple[tuple[str, str], ...]:
    """Return the statements of a line as they stand and cleaned; only the first of a text may hold its name and fields."""
    raw = bare_line(line)
    if not raw or _is_table_head(raw):
        return ()
    if "\t" in raw and _TELLS.match(re.sub(r"\s*\t\s*", " ", raw)):
        return ((raw, re.sub(r"\s*\t\s*", " ", raw)),)  # "Serves" and "8" in two cells
    raw = _ON_ITS_PAGE.sub("", _without_columns(raw)) if is_first else _without_columns(raw)
    whole = all_in_one(raw) or (is_first and (named_then_told(raw) or _name_beside(raw)))
    if whole:
        return tuple((part, clean(part)) for part in whole)
    foods = divided(raw.strip(" |"), LEADS_THE_LIST) if _BAR.search(raw) else []
    if len(foods) > LEAST_BARRED or (foods and foods[0].endswith(":")):
        return tuple((part, text) for part in foods if (text := clean(part if is_first else amount_first(part))))
    cells = [c for c in _BAR.split(raw) if c.strip()] if _BAR.search(raw) else _columns(_two_led(raw))
    parts = _of_cells(cells[:MOST_CELLS]) if len(cells) > 1 else run_on(cells[0] if cells else raw)
    return tuple((part, text) for part in parts if (text := clean(part if is_first else amount_first(part))))


# More foods than so many between bars are a list in one line, and no row of a table [1] (judgement).
LEAST_BARRED = 3
# "Plum cake - page 12", "Plum cake (p. 12)"
_ON_ITS_PAGE = re.compile(
    r"\s+[-–—]+\s+[^-–—\d]{0,24}\b(?:card|issue|no|nr|vol|recipe)\b\.?\s*(?:no\.?\s*)?#?\d{1,4}\s*$|\s*[-–—,(/|]+\s*(?:page|p\.|pg\.?|p)\s?\d{1,3}\)?\s*$",
    re.I,
)


def _without_columns(raw: str) -> str:
    """Return a heading without what the columns below it are called: "Dry things ........ Metric ........ Imperial"."""
    name, *columns = [part for part in _LEADERS.split(raw) if part.strip()] or [raw]
    words = {word for column in columns for word in re.findall(r"[^\W\d_]+", column.lower())}
    if len(columns) > 1 and name.isupper() and re.fullmatch(r"\s*\d{1,3}\s*", columns[-1]):
        return name  # "APPLE COBBLER ...... Autumn puddings ...... 47": the page it stands on
    if any(re.search(r"\d", column) for column in columns):
        return raw
    return name if words and words <= word_list("table_head") | {"metric"} else raw


def _name_beside(raw: str) -> list[str]:
    """Return the cells of a first line that divide a name from what stands beside it; none where it is no such line."""
    if len(row := _title_row(raw)) > 1:
        return row
    if len(told := _name_and_told(raw)) > 1:
        return told
    return named if len(named := _name_and_fields(raw)) > 1 else []


def once_for_each_part(found: Iterable[Statement]) -> list[Statement]:
    """Return statements with the part that a column of a table names said once over its rows, and not over each of them."""
    kept: list[Statement] = []
    part = ""
    for statement in found:
        head = statement.line.head
        is_part = (
            head is not None and head.part_at >= 0 and statement.raw == statement.text and statement.raw.endswith(":")
        )
        if head is None:
            part = ""
        if is_part and statement.raw == part:
            continue
        part = statement.raw if is_part else part
        kept.append(statement)
    return kept


def _is_table_head(raw: str) -> bool:
    """Return whether a line only tells what its columns are called: "INGREDIENTS ........ AMOUNT"."""
    words = re.findall(r"[a-z]+", raw.lower())
    is_apart = (
        bool(_LEADERS.search(raw))
        or re.search(r"\w\s+[-–—/|]\s+\w", raw) is not None
        or (len(words) > 1 and len(_TWO_BLANKS.split(raw.strip())) == len(words))
    )
    return (
        len(words) > 1
        and is_apart
        and set(words) <= word_list("table_head") | {"metric", "part", "section", "component"}
    )


_TWO_BLANKS = re.compile(r"\s{2,}")
# "Blackberry tart | The Late Lunch": so many cells.
NAME_AND_SITE = 2


def _title_row(raw: str) -> list[str]:
    """Return the cells of a first line where bars divide a name from how many it makes: no row of a table; else none."""
    cells = [c.strip() for part in _BAR.split(raw) for c in GAP.split(part) if c.strip()]
    is_named = bool(cells) and read_amount(clean(cells[0])) is None
    is_of_a_site = len(cells) == NAME_AND_SITE and "|" in raw and not re.search(r"\d", raw)
    is_told = any(bare_count(clean(c)) for c in cells[1:])
    return cells if is_named and (is_told or (is_of_a_site and len(cells[0].split()) > 1)) else []


def _name_and_told(raw: str) -> list[str]:
    """Return the cells of a first line where signs divide a name from how many it makes, its heat or its time ("Baklava rolls — yield 24 — bake 175c 25min"); else none."""
    name, *told = [c.strip() for c in _TITLE_SIGN.split(raw.strip(" *#=~")) if c.strip()] or [""]
    if not told or re.search(r"\d", name) or len(name) < SHORTEST_NAME:
        return []
    counts = [
        cell
        for cell in told
        if bare_count(cell) or _TELLS.match(cell) or _SO_MANY_CUPS.fullmatch(cell) or _DOUGH_FOR.fullmatch(cell)
    ]
    if any(begins_food(cell) and cell not in counts for cell in told):
        return []
    is_told = all(cell in counts or _TIN_OR_HEAT.search(cell) or _IN_FEW_WORDS.fullmatch(cell) for cell in told)
    if counts == told[-1:] and len(told) > 1 and not re.search(r"\d", " ".join(told[:-1])):
        return [raw[: raw.rindex(told[-1])].rstrip(" -–—*·•~:/;|>»"), told[-1]]  # "Rice pudding — stove top — 4 bowls"
    return [name, *told] if counts and is_told and not statements(name) else []


SHORTEST_NAME = 4
# "no cooking to speak of", beside how many and how long
_IN_FEW_WORDS = re.compile(r"[^\W\d_][^\d]{2,28}")
# "dough for about 60"
_DOUGH_FOR = re.compile(
    r"(?:dough|batter|mixture|enough|quantity)\s+for\s+(?:about\s+|around\s+|approx\.?\s+)?\d{1,3}", re.I
)
# "Matcha mousse - 4 cups": what everyone has one of
_SO_MANY_CUPS = re.compile(r"\d{1,2} cups", re.I)
_TELLS = re.compile(
    r"(?:serves|makes|yields?|gives|feeds|cuts into|for)\s*:?\s*(?:about\s+|approx\.?\s+)?(?:\d{1,3}|two|three|four|five|six|eight|ten|twelve|a dozen|sixteen|twenty)\b(?:\s+[a-z]+){0,2}$",
    re.I,
)
_TITLE_SIGN = re.compile(r"\s+(?:\.{3}|…|[-–—]{1,6}|[*·•~:/;|>»]{1,2}|//)\s+")


def _name_and_fields(raw: str) -> list[str]:
    """Return the cells of a first line where wide gaps divide a name from fields ("Beet cake    Category: CAKES"); else none."""
    name, *fields = [c.strip() for c in GAP.split(raw.strip()) if c.strip()] or [""]
    if titled := next((f for f in (name, *fields) if re.match(r"(?:title|name|recipe)\s*:\s*\S", f, re.I)), None):
        return [titled, *(f for f in (name, *fields) if f != titled)]
    return [name, *fields] if fields and all(re.match(r"[A-Z][a-z ]{2,16}:\s*\S", f) for f in fields) else []


def _two_led(raw: str) -> str:
    """Return a line with a wide gap where dots lead from one food with its amount to the next: two columns of a list."""
    left, *right = _LEADERS.split(raw)
    return f"{left}    {right[0]}" if len(right) == 1 and all(map(_is_a_food, (left, right[0]))) else raw


def _is_a_food(text: str) -> bool:
    text = text.strip()
    is_behind = AMOUNT_BEHIND.match(text) is not None and not _NO_NAME.match(text)
    return begins_food(text) or (is_behind and not statements(text))


# "about 700 g", "gr. 250", "zest of 1": how much of the food in the cell before.
_NO_NAME = re.compile(
    r"(?:about|approx|around|roughly|circa|ca|gr?|gms?|nr?|no|pcs|zest|juice|plus|or|and|each|total|net)\b", re.I
)


_LEADERS = re.compile(r"\s*(?:\.{4,}|(?:\. ){3,}\.?|_{4,}|-{4,})\s*")


def _columns(raw: str) -> list[str]:
    """Return the columns of a line that wide gaps divide, where each column tells a food or an amount."""
    cells = [c.strip() for c in GAP.split(raw.strip()) if c.strip()]
    if len(cells) < 2 or not (any(read_amount(clean(c)) for c in cells) or all(map(_is_a_food, cells))):
        return [raw]
    return cells


def _of_two_cells(name: str, told: str) -> list[str]:
    """Return the statements of a row of two cells that say more than a food and its amount: a part and its foods, or the amount again; else none."""
    if statements(beside := f"{name} {told}"):
        return [beside]  # "CUTS   24"
    name, told = name.strip(), told.strip()
    if (twice := _NAME_AND_AMOUNT.fullmatch(name)) and _is_amount(clean(told)):
        return [f"{told} / {twice['amount']} {twice['name']}"]  # "Caster sugar 4 oz    110 g"
    if re.fullmatch(r"[^\W\d_][^:\d]{1,30}:", name) and begins_food(told):
        return [name, *run_on(told)]  # "Crust:    1 1/2 c graham crumbs"
    if _A_PART.fullmatch(name) and len(foods := foods_apart(told)) > 1:
        return [f"{name}:", *foods]  # "Sponge   225 butter, 225 caster, 4 eggs"
    return []


def _of_cells(cells: list[str]) -> list[str]:
    """Return the statements in the cells of one row: foods side by side, or one food over several cells."""
    if len(cells) == NAME_AND_SITE and (told := _of_two_cells(*cells)):
        return told
    texts = [clean(c) for c in cells]
    counted = [t for t in texts if (said := bare_count(t)) and said.count and said.count.low >= LEAST_PIECES]
    told = [t for t in texts if _TIN_OR_HEAT.search(t)]
    others = [t for t in texts if t not in counted and t not in told]
    is_apart = not any(begins_food(t) or is_food_with_amount(t) for t in others)
    if counted and is_apart and (told or any(_OF_NO_FOOD.match(t) for t in others)):
        return cells  # "Tin 20x20 | 16 pcs | 160 fan", "Author: me | 16 small squares"
    texts = [t.removesuffix(":").rstrip() for t in texts]  # "Orange:    1, zest & juice"
    if all(not t or _RULE.fullmatch(t) for t in texts):
        return []
    if all(set(re.findall(r"[a-z]+", t.lower())) <= word_list("table_head") for t in texts):
        return []  # what the columns of a table are called
    if sum(is_food_with_amount(t) or _is_a_food(t) or _AS_NEEDED.search(t) is not None for t in texts) >= 2:
        return [part for cell in cells for part in run_on(cell)]
    amounts = list(dict.fromkeys(t for t in texts if _is_amount(t)))
    names = list(dict.fromkeys(t for t in texts if t not in amounts))
    if len(amounts) + sum(bool(_SHARE.fullmatch(n)) for n in names) > 1:
        # "Butter | 65 % | 325 g": the baker's per cent beside the weight.
        amounts = [a for a in amounts if not _SHARE.fullmatch(a)]
        names = [n for n in names if not _SHARE.fullmatch(n)]
    counted = [a for a in amounts if re.fullmatch(r"\d{1,2}", a)]
    if len(amounts) == 2 and len(counted) == 1 and names:
        # "Egg | 1 | 50 g": how many, and what they weigh.
        weight = next(a for a in amounts if a not in counted)
        if re.search(r"\d.*[a-z]", weight, re.I):
            return [f"{counted[0]} {names[0]} ({weight})" + "".join(f", {t}" for t in names[1:] if re.search(r"\w", t))]
    if len(amounts) > 1 and all(re.search(r"[\d½¼¾⅓⅔⅛].*[a-z]", t, re.I) for t in amounts):
        amounts = [" / ".join(amounts)]  # "250 g | 9 oz | ricotta": metric and imperial
    # A quantity and its unit may stand in two cells; what else there is says more of the food.
    # "2 cups | 250 g flour": the same amount twice.
    is_twice = len(amounts) == 1 and len(names) == 1 and is_food_with_amount(names[0])
    first = (" / " if is_twice else " ").join([*amounts, *names[:1]])
    # "Eggs | 3 | + 1 yolk": more of it.
    added = [cell.strip() for cell in cells if re.match(r"\s*(?:\+|plus\b)\s*[\d½¼¾⅓⅔]", cell, re.I)]
    told = [t for t in names[1:] if re.search(r"\w", t) and not any(t in one for one in added)]
    return [" ".join([first + "".join(f", {t}" for t in told), *added])]


_A_PART = re.compile(r"[^\W\d_]+(?: [^\W\d_]+){0,2}")
_NAME_AND_AMOUNT = re.compile(
    r"(?P<name>[^\W\d_][^\d:]{2,30}?)\s+(?P<amount>[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]*\s?(?:oz|lbs?|cups?|c|tbsps?|tsps?|pints?|g|ml))\.?"
)
# "Milk if needed", beside "Pinch salt"
_AS_NEEDED = re.compile(r"[^\W\d_]{3}.*\b(?:if needed|as needed|to taste|to serve|if liked)\s*$", re.I)
# So many pieces are no tin of anything.
LEAST_PIECES = 4
_TIN_OR_HEAT = re.compile(r"\b(?:tin|pan|fan|oven|gas|prep|bake|time)\b|\d{3}\s*(?:°|º)|\d\s*min", re.I)
_OF_NO_FOOD = re.compile(r"(?:author|by|from|source|recipe|course|cuisine|level|difficulty|category)\b", re.I)
_SHARE = re.compile(r"\d+(?:[.,]\d+)?\s*%")


def _is_amount(text: str) -> bool:
    """Return whether a cell is an amount, or the unit or size of one, and nothing else."""
    found = read_amount(text)
    if found is None:
        return bool(
            re.fullmatch(r"(?:g|kg|ml|l|dl|cups?|tbsps?|tsps?|oz|lbs?|pcs?|pinch|large|small|medium)\.?", text, re.I)
        )
    rest = text[found[1] :].strip(" .()")
    return not rest or rest.lower() in ("large", "small", "medium", "ripe")
