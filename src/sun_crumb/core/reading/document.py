"""Which line of a pasted text is what: title, headings, ingredient lines, method, notes."""

from __future__ import annotations

import re
from dataclasses import dataclass

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


@dataclass(frozen=True, slots=True)
class Piece:
    """One line of the text and what it is: title, heading, ingredient, step, note or meta."""

    text: str
    kind: str
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
    found: list[Piece] = []
    component, section, has_title = "", "", False
    lines = [line for line in (part.strip() for part in re.split(r"\r\n|\r|\n|\u2028", text)) if line]
    # Some pages paste as one line with bullets or semicolons.
    if len(lines) == 1 and len(re.findall(r"[;•]", lines[0])) >= 2:
        lines = [p.strip() for p in re.split(r"[;•]", lines[0]) if p.strip()]
    for number, raw in enumerate(lines):
        line = clean(raw)
        if not line:
            continue
        if _is_method_heading(line.strip("*#_:= ")):
            section = "method"
            found.append(Piece(line, "heading", component))
            continue
        heading = _heading(_HEAD_YIELD.sub("", re.sub(r"^[-*•\s]+(?=\S+.*:$)", "", raw))) if len(raw) < 100 else None
        if heading is not None and (has_title or heading == "" or raw.rstrip().endswith(":")):
            if heading == "" or section != "method" or heading.split()[-1:] == ["ingredients"]:
                section = "ingredients"
            if section == "ingredients":
                component = heading
            found.append(Piece(line, "heading", component))
            continue
        amount = read_amount(line)
        numbered = _STEP_NUMBER.match(raw.strip()) is not None
        if section == "method":
            found.append(Piece(_STEP_NUMBER.sub("", raw.strip()), "step", component))
        elif (
            not has_title
            and not found
            and (
                amount is None
                or (
                    amount[0].unit is None
                    and _is_numbered_title(line, lines[number + 1] if number + 1 < len(lines) else "")
                )
            )
        ):
            has_title = True
            found.append(Piece(line, "title", component))
        elif (_META.match(line) and not (amount and amount[0].unit)) or (
            amount is None and read_yield(line) and len(line.split()) <= 8
        ):
            found.append(Piece(line, "meta", component))
        elif _is_sentence(line) and not (amount and amount[0].unit and not numbered):
            found.append(Piece(line, "step", component))
        elif re.match(r"^(?:note|tip|nb|n\.b\.)\b", line, re.I):
            found.append(Piece(line, "note", component))
        else:
            has_title = True
            found.append(Piece(line, "ingredient", component))
    return found
