"""Which line of a pasted text is what: title, headings, ingredient lines, method, notes."""

from __future__ import annotations

import re
from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.quantities.numbers import read_quantity
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.steps import read_yield
from sun_crumb.core.reading.words import word_list

_FOR_THE = re.compile(r"^(?:for|to make|to finish)(?:\s+the)?\s+([\w' -]{2,40}?)\s*:?$", re.I)
_META = re.compile(
    r"^(?:(?:serves|feeds|makes?|yields?|servings?|portions?|ready in|difficulty|course|cuisine|author|source|recipe by|"
    r"rating|calories|equipment)\b|(?:prep(?:aration)?|cook(?:ing)?|bake|baking|total)(?: time)?\s*:|"
    r"(?:prep(?:aration)?|cook(?:ing)?|bake|baking|total) time\b|(?:oven|temperature|by|from)\b)",
    re.I,
)
# What a heading says its component is enough for: "Frosting (for 8 cupcakes)", "Glaze, makes enough for 6".
_HEAD_YIELD = re.compile(
    r"[\s,–-]*[(\[]?\s*\b(?:(?:makes?|yields?|covers|serves|fills|tops)(?:\s+enough)?(?:\s+(?:for|to \w+))?|enough\s+(?:for|to\s+\w+)|for)"
    r"\s+(?:about\s+|up to\s+)?(?P<count>\d{1,3})\b(?!\s*(?:min|h\b|hour|g\b|ml|cm))[^)\]:]{0,30}[)\]]?(?=\s*:?\s*$)",
    re.I,
)
_WORDED_AMOUNT = re.compile(
    r"\b(?:a|an|one|two|three|four|half|quarter)\s+(?:a\s+)?(?:cups?|tbsps?|tsps?|tablespoons?|teaspoons?|sticks?)\b",
    re.I,
)
_STEP_NUMBER = re.compile(r"^(?:step\s*)?\d{1,2}\s*[.):]\s*", re.I)


PieceKind = Literal["title", "heading", "ingredient", "step", "note", "meta"]


@dataclass(frozen=True, slots=True)
class Piece:
    """One line of the text and what it is: title, heading, ingredient, step, note or meta."""

    text: str
    kind: PieceKind
    component: str


def _is_sentence(text: str) -> bool:
    words = text.split()
    if len(words) < 4:
        return False
    first = re.sub(r"[^a-z]", "", words[0].lower())
    verb = first in word_list("verb")
    return (verb and (len(words) >= 5 or text.endswith("."))) or (len(words) > 14 and ". " in text)


def _is_method_heading(text: str) -> bool:
    words = re.findall(r"[a-z]+", text.lower())
    return (
        0 < len(words) <= 5
        and not any(c.isdigit() for c in text)
        and words[0]
        in (
            "method",
            "methods",
            "directions",
            "direction",
            "instructions",
            "instruction",
            "steps",
            "preparation",
            "procedure",
            "how",
        )
        and set(words) <= word_list("method") | {"the", "a", "and", "to"}
    )


def _heading(text: str) -> str | None:
    """Return the component that a heading names ("" for a plain "Ingredients"), or None if it is no heading."""
    bare = text.strip("*#_= :–-").strip()
    if not bare or len(bare) > 48 or read_quantity(bare, words=False):
        return None
    if re.search(
        r"\d\s*(?:g|gms?|grams?|kg|ml|l|oz|lbs?|cups?|tbsps?|tsps?)\.?$", bare, re.I
    ) and not text.rstrip().endswith(":"):
        return None
    found = _FOR_THE.match(bare)
    uses = r"\b(?:dusting|greasing|serving|rolling|brushing|sprinkling|frying)\b"
    if found and (text.rstrip().endswith(":") or not re.search(uses, bare, re.I)):
        return found[1].strip().lower()
    words = re.findall(r"[a-z]+", bare.lower())
    if not words or len(words) > 5:
        return None
    if words[0] in ("ingredients", "ingredient"):
        return ""
    if words[-1] in ("ingredients", "ingredient"):
        return " ".join(words[:-1])
    if text.rstrip().endswith(":") or text.startswith("#"):
        return " ".join(words)
    if bare.isupper() and len(words) <= 4 and not _WORDED_AMOUNT.search(bare):
        return " ".join(words)
    component = word_list("component")
    if words[-1] in component and len(words) <= 3 and ((text[:1].isupper() and len(words) == 1) or text.istitle()):
        return " ".join(words)
    return None


_NUMBERED_TITLE = re.compile(r"^\w+[- ](?:ingredients?|minutes?|min|bowl|pan|pot|step|layer|tier|way|hour|day)\b", re.I)


def _is_numbered_title(line: str, following: str) -> bool:
    """Return whether a first line that begins with a count is a title: "A simple loaf", "3-ingredient cookies"."""
    if _NUMBERED_TITLE.match(line):
        return True
    begins_list = _heading(following) is not None or _META.match(following) is not None
    capitals = sum(word[:1].isupper() for word in line.split())
    return begins_list or (not line[:1].isdigit() and capitals >= 3)


def own_yield(piece: Piece) -> int | None:
    """Return how many portions the component of a heading or meta line is enough for, or None where it does not say."""
    if not piece.component or piece.kind not in ("heading", "meta"):
        return None
    if piece.kind == "heading":
        found = _HEAD_YIELD.search(piece.text)
        return int(found["count"]) if found and 1 <= int(found["count"]) <= 400 else None
    stated = read_yield(piece.text)
    return stated.count if stated else None


def pieces(text: str) -> list[Piece]:
    """Return every non-empty line of *text* with its kind and component, in order.

    The first line that is neither an amount nor a heading is the title. After a heading such as "Method", lines are
    steps until a heading names ingredients again.
    """
    lines = [line for line in (part.strip() for part in re.split(r"\r\n|\r|\n|\u2028", text)) if line]
    # Some pages paste as one line with bullets or semicolons.
    if len(lines) == 1 and len(re.findall(r"[;•]", lines[0])) >= 2:
        lines = [p.strip() for p in re.split(r"[;•]", lines[0]) if p.strip()]
    walk = _Walk()
    for number, raw in enumerate(lines):
        if line := clean(raw):
            walk.take(raw, line, lines[number + 1] if number + 1 < len(lines) else "")
    return walk.found


class _Walk:
    """A text being walked through line by line."""

    def __init__(self) -> None:
        self.found: list[Piece] = []
        self.component, self.section, self.has_title = "", "", False

    def take(self, raw: str, line: str, following: str) -> None:
        """Take one line, *raw* and cleaned, with the one that follows it."""
        if _is_method_heading(line.strip("*#_:= ")):
            self.section = "method"
            self._put(line, "heading")
            return
        heading = _heading(_HEAD_YIELD.sub("", re.sub(r"^[-*•\s]+(?=\S+.*:$)", "", raw))) if len(raw) < 100 else None
        if heading is not None and (self.has_title or heading == "" or raw.rstrip().endswith(":")):
            self._begin(heading)
            self._put(line, "heading")
        elif self.section == "method":
            self._put(_STEP_NUMBER.sub("", raw.strip()), "step")
        else:
            kind = self._kind(raw, line, following)
            self.has_title = self.has_title or kind in ("title", "ingredient")
            self._put(line, kind)

    def _put(self, text: str, kind: PieceKind) -> None:
        self.found.append(Piece(text, kind, self.component))

    def _begin(self, heading: str) -> None:
        """Go into the section that a heading names."""
        if heading == "" or self.section != "method" or heading.split()[-1:] == ["ingredients"]:
            self.section = "ingredients"
        if self.section == "ingredients":
            self.component = heading

    def _kind(self, raw: str, line: str, following: str) -> PieceKind:
        """Return what a line outside the method is."""
        amount = read_amount(line)
        has_unit = bool(amount and amount[0].unit)
        is_first = not self.has_title and not self.found
        if is_first and (amount is None or (amount[0].unit is None and _is_numbered_title(line, following))):
            return "title"
        if _is_meta(line, has_amount=amount is not None, has_unit=has_unit):
            return "meta"
        if _is_sentence(line) and not (has_unit and _STEP_NUMBER.match(raw.strip()) is None):
            return "step"
        return "note" if re.match(r"^(?:note|tip|nb|n\.b\.)\b", line, re.I) else "ingredient"


def _is_meta(line: str, *, has_amount: bool, has_unit: bool) -> bool:
    """Return whether a line speaks of the recipe itself: portions, times."""
    if _META.match(line) and not has_unit:
        return True
    return not has_amount and bool(read_yield(line)) and len(line.split()) <= 8
