"""Numbers as bakers write them: ½, 1 1/2, 1½, 0,5, 2-3, "a", "half a", "a dozen"."""

from __future__ import annotations

import re
from dataclasses import dataclass

FRACTIONS = {
    "½": 1 / 2,
    "⅓": 1 / 3,
    "⅔": 2 / 3,
    "¼": 1 / 4,
    "¾": 3 / 4,
    "⅕": 1 / 5,
    "⅖": 2 / 5,
    "⅗": 3 / 5,
    "⅘": 4 / 5,
    "⅙": 1 / 6,
    "⅚": 5 / 6,
    "⅐": 1 / 7,
    "⅛": 1 / 8,
    "⅜": 3 / 8,
    "⅝": 5 / 8,
    "⅞": 7 / 8,
    "⅑": 1 / 9,
    "⅒": 1 / 10,
}
# One to four in other kitchens' words; "due" is left out, which is English too.
ABROAD = {
    **dict.fromkeys(("un", "una", "une", "uno", "ein", "eine", "einen", "een", "ett", "uma"), 1.0),
    **dict.fromkeys(("deux", "zwei", "dos", "två", "twee", "dois", "duas"), 2.0),
    **dict.fromkeys(("trois", "drei", "tres", "tre", "três", "drie"), 3.0),
    **dict.fromkeys(("quatre", "vier", "cuatro", "quattro", "fyra", "quatro"), 4.0),
}
WORDS = {
    **ABROAD,
    "a": 1.0,
    "an": 1.0,
    "one": 1.0,
    "two": 2.0,
    "three": 3.0,
    "four": 4.0,
    "five": 5.0,
    "six": 6.0,
    "seven": 7.0,
    "eight": 8.0,
    "nine": 9.0,
    "ten": 10.0,
    "eleven": 11.0,
    "twelve": 12.0,
    "fifteen": 15.0,
    "sixteen": 16.0,
    "thirteen": 13.0,
    "fourteen": 14.0,
    "seventeen": 17.0,
    "eighteen": 18.0,
    "nineteen": 19.0,
    "twenty": 20.0,
    "thirty": 30.0,
    "forty": 40.0,
    "fifty": 50.0,
    "sixty": 60.0,
    "seventy": 70.0,
    "eighty": 80.0,
    "ninety": 90.0,
    "hundred": 100.0,
    "half": 0.5,
    "quarter": 0.25,
    "dozen": 12.0,
    "couple": 2.0,
    "few": 3.0,
    "several": 4.0,
}
_GLYPHS = "".join(FRACTIONS)
_PLAIN = r"\d+(?:[.,]\d+)?"
ONE = re.compile(
    rf"(?:(?P<whole>\d+)\s*(?:[-–&]|and)?\s*(?P<glyph>[{_GLYPHS}])"
    rf"|(?P<mixed>\d+)\s*(?:\s|-|&|and)\s*(?P<mt>\d+)\s*[/⁄]\s*(?P<mb>\d+)"
    rf"|(?P<top>\d+)\s*[/⁄]\s*(?P<bottom>\d+)"
    rf"|(?P<lone>[{_GLYPHS}])"
    rf"|(?P<thousands>[1-9]\d{{0,2}}(?:[ ,]\d{{3}})+(?:\.\d+)?)(?!\d)"
    rf"|(?P<plain>{_PLAIN}|\.\d+))"
)
_WORD = re.compile(
    r"(?P<word>(?:one|a)\s+and\s+a\s+half|(?:an?|one|two|three)[\s-]+(?:quarter|third|half)s?(?=\s)|half\s+an?\s+dozen|half\s+an?|half\s+dozen|an?\s+half|one\s+and\s+a\s+half|an?\s+quarter|three\s+quarters"
    r"|(?:an?|one|two|three|four|five|six|seven|eight|nine)\s+hundred(?:\s+and)?(?:\s+(?:ten|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety))?"
    r"|(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)[\s-](?:one|two|three|four|five|six|seven|eight|nine)"
    r"|a\s+dozen|a\s+couple|a\s+few|an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen"
    r"|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|half|quarter|dozen|couple|few|several"
    rf"|{'|'.join(ABROAD)})(?:\s+of)?(?=\s|$)",
    re.IGNORECASE,
)
_PHRASES = {
    "half a dozen": 6.0,
    "half dozen": 6.0,
    "half a": 0.5,
    "half an": 0.5,
    "a half": 0.5,
    "an half": 0.5,
    "one and a half": 1.5,
    "a and a half": 1.5,
    "a quarter": 0.25,
    "one quarter": 0.25,
    "three quarters": 0.75,
    "three quarter": 0.75,
    "one half": 0.5,
    "a third": 1 / 3,
    "one third": 1 / 3,
    "two thirds": 2 / 3,
    "two third": 2 / 3,
    "a dozen": 12.0,
    "a couple": 2.0,
    "a few": 3.0,
}
_DOZEN = re.compile(r"\s+dozen\b", re.IGNORECASE)
_DASH = re.compile(r"\s*(?:-|–|—|to|or|~)\s*(?=[\d" + _GLYPHS + r".])", re.IGNORECASE)


@dataclass(frozen=True, slots=True)
class Span:
    """A quantity and how far it reaches in the text; low equals high unless a range was written."""

    low: float
    high: float
    end: int
    is_word: bool = False


def _value(match: re.Match[str]) -> float:
    g = match.groupdict()
    if g["glyph"]:
        return float(g["whole"]) + FRACTIONS[g["glyph"]]
    if g["mt"]:
        return float(g["mixed"]) + _ratio(g["mt"], g["mb"])
    if g["top"]:
        return _ratio(g["top"], g["bottom"])
    if g["lone"]:
        return FRACTIONS[g["lone"]]
    if g["thousands"]:
        return float(re.sub("[ ,]", "", g["thousands"]))
    return float(g["plain"].replace(",", "."))


def _ratio(top: str, bottom: str) -> float:
    return float(top) / float(bottom) if float(bottom) else float("inf")


def _spelt_out(phrase: str) -> float | None:
    """Return "two hundred and fifty" or "twenty-five" as a number."""
    total = 0.0
    for word in re.findall(r"[a-z]+", phrase):
        if word == "hundred":
            total = max(total, 1.0) * 100
        elif word in WORDS:
            total += WORDS[word]
        elif word != "and":
            return None
    return total or None


def read_quantity(text: str, start: int = 0, *, words: bool = True) -> Span | None:
    """Return the quantity that stands at *start* in *text*, or None where there is none.

    A decimal comma is read as a comma, three digits after it as thousands ("1,000"). A range keeps both ends.
    Division by zero gives infinity, which the reader refuses as absurd.

    Examples
    --------
    >>> read_quantity("1 1/2 cups").low
    1.5
    >>> span = read_quantity("2-3 eggs"); (span.low, span.high)
    (2.0, 3.0)
    >>> read_quantity("0,5 l").low
    0.5
    """
    first = ONE.match(text, start)
    if first is None:
        if not words:
            return None
        word = _WORD.match(text, start)
        if word is None:
            return None
        phrase = re.sub(r"\s+", " ", word["word"].lower())
        value = _PHRASES.get(phrase.replace("-", " ")) or WORDS.get(phrase) or _spelt_out(phrase)
        if value is None:
            return None
        return Span(value, value, word.end(), is_word=True)
    low = _value(first)
    dash = _DASH.match(text, first.end())
    if dash:
        second = ONE.match(text, dash.end())
        # "1 - 1/2" is one and a half to many; a falling range is not a range ("2 - 1/2 cup pieces").
        if second and _value(second) > low:
            return Span(low, _value(second), second.end())
    dozen = _DOZEN.match(text, first.end())
    if dozen:
        return Span(12 * low, 12 * low, dozen.end())
    return Span(low, low, first.end())
