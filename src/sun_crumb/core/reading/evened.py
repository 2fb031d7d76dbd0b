"""Marks that many lines of a text bear alike, whatever they are, put as plain ones before any line is read by itself."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Sequence

from sun_crumb.core.reading.counted import in_order, uncounted, without_counts, without_groups, without_letters
from sun_crumb.core.reading.items import LEAST_MARKED, SIGN, mended
from sun_crumb.core.reading.part_marks import (
    headed,
    lettered,
    named_apart,
    signed_behind,
    signed_in_line,
    told_in_words,
    untailed,
)
from sun_crumb.core.reading.plain_cells import in_cells, in_fields, in_one_form, under_a_unit, without_shares
from sun_crumb.core.reading.scanned import figures_again
from sun_crumb.core.reading.side_by_side import in_part_cells, led_apart, of_one_batch

# So many lines quoted are a letter that is quoted (judgement).
LEAST_QUOTED = 3
_BLANKS = re.compile("[\u00a0\u2000-\u200a\u202f\u205f\u3000]")
# No page has a wider gap between its columns [characters]: what is wider says no more, and takes long to look through.
WIDEST_GAP = 120
_WIDE = re.compile(rf"\s{{{WIDEST_GAP + 1},}}")
# "•\t200 g flour": a tab behind what marks an item divides no cells.
_TAB_BEHIND = re.compile(r"^(\s*[-*•·–—+○◦▪])\t+")
# "Une quinzaine de tranches"
_SO_MANY = {
    "dizaine": 10,
    "douzaine": 12,
    "quinzaine": 15,
    "vingtaine": 20,
    "trentaine": 30,
    "docena": 12,
    "decina": 10,
    "dozzina": 12,
}
_TENS_ABROAD = re.compile(rf"\bun[ea]?\s+({'|'.join(_SO_MANY)})(?:\s+(?:de|di)\s+|(?=\s*[).;,]|\s*$))", re.I)
# "water (110°F)": how warm it is, and no oven's heat
_WARMTH = re.compile(
    r"\s*\(\s*(?:about\s+|at\s+)?(?:[2-5]\d\s*°?\s*C|(?:[89]\d|1[0-3]\d)\s*°?\s*F)(?:\s*/\s*\d{2,3}\s*°?\s*[CF])?\s*\)"
)
# A plate or people drawn before how many, a clock before how long.
_DRAWN = (
    (re.compile("(?:🍽|👥|👤|👪|🧑‍🤝‍🧑|🍴)\ufe0f?\\s*:?\\s*(?=\\d)"), "Serves "),
    (re.compile("(?:⏲|⏱|⏰|🕒|🕐|⌛|⏳)\ufe0f?\\s*(?=\\d)"), "Time: "),
)
# "Sauce 👉 150 g sugar": what a hand points at
_POINTED_AT = re.compile("(?<=[^\\W\\d_])\\s*[👉➡▶➜➔]\ufe0f?\\s*(?=[\\d½¼¾⅓⅔])")
# "175 °C, 22 min. → 12"
_COMES_OUT = re.compile(r"(?<=[a-z]\.)\s*(?:→|[-=]+>)\s*((?:about\s+)?\d{1,2}(?:\s+[a-z]+)?)\s*$")
# "Ingredients. 600 ml cream; 150 g sugar"
_STOPPED = re.compile(r"^\s*(ingredients|you(?:'ll|’ll| will) need)\.\s+(?=\S)", re.I)
# "2 c. à s. de sucre", "1 cuil. à café": spoons in French
_FRENCH_SPOON = re.compile(r"(?<=[\d½¼¾])\s*c(?:uil(?:l[eè]res?)?)?\.?\s*à\s*\.?\s*(?P<kind>soupe|café|s|c)\b\.?", re.I)
# "Base::oat biscuits 200g::butter 80g"
_DOUBLE_COLONS, _GLUED = re.compile(r"::"), re.compile(r"\w::\w.*\w::\w")
# "½ tsp cinnamon -> + pinch of salt"
_AND_MORE = re.compile(r"\s*[-=]+>\s*\+\s*")
# "300 g 00 flour": how fine it is milled
_FINE_FLOUR = re.compile(r"\b(?:tipo |type )?00 flour\b|\bflour (?:tipo |type )?00\b", re.I)
# "4 eggs; also 1 cup milk"
_ALSO = re.compile(r";\s*(?:also|plus|and|then)\s+(?=[\d½¼¾⅓⅔])", re.I)
# "4 balls stem ginger, chopped, and 2 tbsp of the syrup"
_OF_ITS_SYRUP = re.compile(
    r"(\bstem ginger\b[^\n]{0,40}?\b(?:tbsps?|tsps?|tablespoons?|teaspoons?|ml|g)) (?:of )?(?:(?:its|the|their) syrup|syrup from (?:the|its) jar)\b",
    re.I,
)
# "1 can (400 ml) chickpeas — you only need the liquid, about 150 ml aquafaba"
_ITS_LIQUID = re.compile(
    r"\b(?:1|an?|one)\s+(?:\(?\d+\s?(?:g|ml)\)?\s+)?(?:can|tin|jar)\b[^,;:(\n]{0,20}(?:\([^()\n]{0,20}\))?[^,;:(\n]{0,40}\b(?:only|just)\b[^,\n]{0,30}\b(?:liquid|brine|water)\b[,:;]?\s+\(?(?:about\s+|approx\.?\s+)?(\d+\s?ml|\d+\s?tbsp)\b(?:\s+(?:of\s+)?(?:aquafaba|liquid|it)\b)?\)?",
    re.I,
)
# "You'll need 2 avocados, 60 g cocoa and a pinch of salt for this avocado mousse. Blend"
_FOR_THIS = re.compile(
    r"^(?:you(?:['’]ll| will)? need|you(?:['’]ll| will) want|take)\s+(?P<foods>[^\n]*\d[^\n]*,[^\n]*?)\s+for (?:this|my|our)\s+(?P<name>(?:[^\W\d_][\w'’-]*\s+){0,4}[^\W\d_][\w'’-]*)\.\s+(?=[A-Z])",
    re.I,
)
# "1/2 cup (100 g) sugar, 2 Tbsp reserved"
_HELD = re.compile(r"reserved|held back|set aside|kept back")
_HELD_BACK = re.compile(
    r",\s*(?:with\s+)?[\d½¼¾][\d/½¼¾ ]*\s*(?:tbsps?|tsps?|cups?|tablespoons?|teaspoons?|g|ml)\.?\s+(?:of (?:it|which)\s+)?(?:reserved|held back|set aside|kept back)\b",
    re.I,
)
# "2 oranges – zest only, 300 ml cream"
_ONLY_A_PART = re.compile(
    r"\b(\d|½)\s+((?:large\s+)?(?:oranges?|lemons?|limes?))\s*[–—-]\s*(zest|juice|rind)(?:\s+only)?\b(?!\s*(?:and|&|\+|/|,\s*(?:juice|zest)|of\b))",
    re.I,
)
# "= Choc sponge for 8", below a list
_COMES_TO = re.compile(r"^=\s*(?=[A-Z][^\d=:]{3,40}\s(?:for|makes|serves)\s+\d{1,2}\s*$)")
# "150 g s-r flour"
_SELF_RAISING = re.compile(r"\bs-r\.?\s+(?=flour)", re.I)
# "8 sl. bread"
_SLICES = re.compile(r"(?<=\d) sl\. (?=[a-z])")
# "sultanas, 3oz ish"
_ISH = re.compile(r"(\d\s?(?:g|kg|oz|ml|lbs?|cups?|tbsp|tsp))[ -]?ish\b", re.I)
# "ostie q.b."
_TO_TASTE = re.compile(r"\bq\.\s?b\.?(?=\W|$)|\bnach Belieben\b|\befter smak\b|\bal gusto\b", re.I)
# "12 slices ea."
_EACH = re.compile(r"(?<=[a-z] )ea\b\.?(?=\W*$|[),;])")
_QUOTE = re.compile(r"^\s*(?:[>|]\s?)+(?![-=])")
_QUOTED_ONCE = re.compile(r"^> [A-Z]")
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
    told = _unquoted(list(map(_row, _undotted(list(rows)))))
    for mend in (
        _untagged,
        _unspoken,
        _unboxed,
        led_apart,
        of_one_batch,
        in_part_cells,
        in_cells,
        without_shares,
        in_fields,
        in_one_form,
        under_a_unit,
        without_groups,
        uncounted,
        _unwrapped,
        without_counts,
        without_letters,
        in_order,
        signed_behind,
        signed_in_line,
        told_in_words,
        untailed,
        named_apart,
        lettered,
        headed,
        _signed,
    ):
        told = mend(told)
    return told


def _untagged(rows: list[str]) -> list[str]:
    """Return lines without what the dessert is free of, where the first tells no more than that and perhaps for how many: "Gluten-free | Dairy-free | 8 portions"."""
    parts = re.split(r"\s*[|·•]\s*", rows[0].strip()) if rows else []
    rest = [part for part in parts if not _IS_FREE.fullmatch(part)]
    is_tagged = len(parts) > 1 and len(rest) < len(parts) and all(_SO_MANY_EAT.fullmatch(part) for part in rest)
    return [" | ".join(rest), *rows[1:]] if is_tagged else rows


# What a dessert is free of, as its tags say it.
FREE_OF = r"(?:(?:no|without)\s+(?:added\s+|refined\s+)?(?:sugar|gluten|dairy|egg|nut)s?|(?:gluten|dairy|sugar|egg|nut|grain|soy|oil)[- ]free|vegan|vegetarian)"
_IS_FREE = re.compile(rf"{FREE_OF}|GF|DF|V|VG", re.I)
_SO_MANY_EAT = re.compile(
    r"(?:(?:serves|makes|feeds|for)\s+(?:[^\W\d_]+\s+){0,3})?\d{1,3}(?:\s*[-–]\s*\d{1,3})?(?:\s+[^\W\d_]+)?", re.I
)


def _undotted(rows: list[str]) -> list[str]:
    """Return lines with a dot for each row of spaced ones that stands between two amounts: "4 egg whites . . . . 220 g caster sugar"."""
    return [_SPACED_DOTS.sub(" • ", row) if _AMOUNT_FIRST.match(row) else row for row in rows]


_SPACED_DOTS = re.compile(r"(?<=[\w)])\s*(?:\s\.){2,40}\s+(?=[\d½¼¾⅓⅔])")
_AMOUNT_FIRST = re.compile(r"\s*(?:[^\W\d_]{2,16}\s?:\s*)?[\d½¼¾⅓⅔]")


def _unboxed(rows: list[str]) -> list[str]:
    """Return lines with the foods that brackets stand around divided by dots: "[2 mangoes] [1 cup yoghurt] [1 tbsp honey]"."""
    return [" • ".join(_BOX.findall(row)) if _BOXED.fullmatch(row.strip()) else row for row in rows]


_BOX = re.compile(r"\[\s*([^\[\]]{3,80}?)\s*\]")
_BOXED = re.compile(r"(?:\[[^\[\]]{3,80}\][\s,;|+&]*){3,40}")


def _row(row: str) -> str:
    """Return a line with its blanks, figures and drawn signs as plain ones."""
    row = _BLANKS.sub(" ", row)
    if len(row) > WIDEST_GAP:
        row = _WIDE.sub(lambda found: found[0][:WIDEST_GAP], row)
    row = _TAB_BEHIND.sub(r"\1 ", _TO_TASTE.sub("to taste", _WARMTH.sub("", row)))
    if not row.isascii():
        row = _FRENCH_SPOON.sub(lambda found: " tbsp" if found["kind"][0] in "sS" else " tsp", row)
        for drawn, word in _DRAWN:
            row = drawn.sub(word, row)
        row = _POINTED_AT.sub(": ", row)
    row = _DOUBLE_COLONS.sub("; ", row.replace("::", ": ", 1)) if row.count("::") > 1 and _GLUED.search(row) else row
    row = _AND_MORE.sub(" + ", row.replace("±", "about ") if "±" in row else row)
    row = _FINE_FLOUR.sub("plain flour", row) if "00" in row else row
    row = _HELD_BACK.sub(", divided", row) if _HELD.search(row) else row
    row = _ONLY_A_PART.sub(r"\3 of \1 \2", row)
    row = _COMES_TO.sub("Result: ", row) if row.startswith("=") else row
    row = _SELF_RAISING.sub("self-raising ", row)
    row = _COMES_OUT.sub(r" Makes \1", row) if "→" in row or "->" in row else row
    row = _STOPPED.sub(r"\1: ", row) if "." in row else row
    row = _SLICES.sub(" slices ", row) if " sl." in row else row
    row = _ISH.sub(r"\1", row) if "ish" in row else row
    row = _ALSO.sub("; ", row) if ";" in row else row
    row = row.replace(" . ", "; ") if row.count(" . ") >= LEAST_DOTTED else row
    row = _OF_ITS_SYRUP.sub(r"\1 stem ginger syrup", row) if "syrup" in row else row
    row = _ITS_LIQUID.sub(r"\1 aquafaba", row) if "liquid" in row or "brine" in row else row
    row = (
        _FOR_THIS.sub(lambda found: f"{found['name'].capitalize()}: {found['foods']}. ", row) if "for " in row else row
    )
    row = _TENS_ABROAD.sub(lambda found: f"{_SO_MANY[found[1].lower()]} ", row)
    return figures_again(_EACH.sub("each", row))


def _unquoted(rows: list[str]) -> list[str]:
    quoted = [row for row in rows if _QUOTE.match(row) and not row.rstrip().endswith("|")]
    written = sum(bool(row.strip()) for row in rows)
    by_arrows = [row for row in quoted if row.lstrip().startswith(">")]
    once = sum(_QUOTED_ONCE.match(row) is not None for row in quoted)
    is_most = len(quoted) >= max(LEAST_QUOTED, written / 2) or once == len(quoted) >= LEAST_QUOTED
    is_letter = len(by_arrows) == len(quoted) and is_most
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


# So many dots with a blank on both sides divide a list.
LEAST_DOTTED = 3
# Where such a share of the lines begins with a name, it is who says them (judgement).
MOST_SPOKEN = 0.7


def _unwrapped(rows: list[str]) -> list[str]:
    """Return lines without the emphasis that all foods of a list stand in: "**200 g flour**"."""
    return mended(rows, _WRAPPED, lambda found: found["said"].strip())


def _signed(rows: list[str]) -> list[str]:
    """Return lines with the sign that begins the foods of a list as a dot: ":: 200 g flour"."""
    return mended(
        rows,
        SIGN,
        lambda found: found.string if found["sign"] in _USUAL else f"• {found.string[found.end() :]}",
    )


_USUAL = frozenset("-*•–—+")
