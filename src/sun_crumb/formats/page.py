"""The recipe in a saved page: schema.org data as JSON-LD, else as microdata.

Read with the standard library alone, in one pass whose work is bounded: by size, by depth and by time. Nothing of the page
is ever shown as it is; what comes out is plain text for the reader.
"""

from __future__ import annotations

import json
import re
from html import unescape
from html.parser import HTMLParser
from time import monotonic
from typing import Any

PIECE = 8_192
MOST_SECONDS = 1.5
MOST_DEPTH = 8
MOST_ATTRIBUTES = 200
MOST_TAG = 200_000
MOST_ITEMS = 600
FIELDS = ("name", "recipeYield", "recipeIngredient", "ingredients", "recipeInstructions")
# Elements that have no end, so that what follows is not inside them.
VOID = frozenset(
    ["area", "base", "br", "col", "embed", "hr", "img", "input", "link", "meta", "param", "source", "track", "wbr"]
)
BLOCKS = frozenset(["br", "p", "li", "div", "tr", "h1", "h2", "h3", "h4", "ol", "ul"])


class PageTooWildError(Exception):
    """Reading the page would take more work than any recipe is worth."""


def recipe_in_page(page: str) -> dict[str, Any] | None:
    """Return the schema.org Recipe of a page, or None where there is none.

    Raises
    ------
    PageTooWildError
        The page is made to keep a program busy, or is broken beyond reading.
    """
    reader = _Reader()
    until = monotonic() + MOST_SECONDS
    for start in range(0, len(page), PIECE):
        reader.feed(page[start : start + PIECE])
        if monotonic() > until:
            raise PageTooWildError("it takes too long; copy the recipe's text into Bring in instead")
        if len(reader.rawdata) > MOST_TAG:
            raise PageTooWildError("a tag or comment in it never ends")
    for script in [*reader.scripts, "".join(reader.script)]:
        try:
            found = recipe_of(json.loads(_bare(script), strict=False))
        except (ValueError, RecursionError):
            continue
        if found is not None and found.get("recipeIngredient", found.get("ingredients")):
            return found
    return reader.microdata if reader.microdata.get("recipeIngredient") else None


def _bare(script: str) -> str:
    """Return a script's JSON without the comment marks that some pages put around it."""
    return re.sub(r"^\s*(?:<!--|//<!\[CDATA\[|<!\[CDATA\[)|(?:-->|//\]\]>|\]\]>)\s*$", "", script).strip()


def recipe_of(data: Any, depth: int = 0) -> dict[str, Any] | None:
    """Return the first schema.org Recipe in JSON-LD data, however it is wrapped."""
    if depth > MOST_DEPTH:
        return None
    if isinstance(data, dict):
        kind = data.get("@type")
        if kind == "Recipe" or (isinstance(kind, list) and "Recipe" in kind):
            return data
        inside = (data.get(key) for key in ("@graph", "mainEntity", "mainEntityOfPage", "itemListElement", "item"))
        return next((found for item in inside if (found := recipe_of(item, depth + 1))), None)
    if isinstance(data, list):
        return next((found for item in data[:MOST_ITEMS] if (found := recipe_of(item, depth + 1))), None)
    return None


def recipe_text(recipe: dict[str, Any]) -> str | None:
    """Return a schema.org Recipe as text for the reader, or None where it names no ingredients."""
    ingredients = _texts(recipe.get("recipeIngredient") or recipe.get("ingredients"))
    if not ingredients:
        return None
    title = (_texts(recipe.get("name")) or [""])[0]
    lines = [title, _yield(recipe.get("recipeYield")), "", *ingredients]
    steps = _texts(recipe.get("recipeInstructions"))
    if steps:
        lines += ["", "Method", *steps]
    return "\n".join(lines)


def _yield(found: Any) -> str:
    """Return a yield as a line; of several the one that says what is counted, as "12" and "12 bars"."""
    texts = _texts(found)
    if not texts:
        return ""
    best = max(texts, key=lambda t: (bool(re.search(r"\d", t)), bool(re.search(r"[^\W\d]", t))))
    return best if re.match(r"(?i)\s*(?:makes|serves|yields?|for)\b", best) else f"Makes {best}"


def _texts(found: Any, depth: int = 0) -> list[str]:
    """Return the plain lines of a value: a text, a number, a list, a step, a section of steps."""
    if depth > MOST_DEPTH or found is None or isinstance(found, bool):
        return []
    if isinstance(found, list):
        return [text for item in found[:MOST_ITEMS] for text in _texts(item, depth + 1)][:MOST_ITEMS]
    if isinstance(found, dict):
        inner = found.get("itemListElement") or found.get("text") or found.get("name") or found.get("@value")
        return _texts(inner, depth + 1)
    text = str(found)
    if "<" in text or "&" in text:
        text = unescape(re.sub(r"<[^<>]*>", lambda tag: "\n" if _breaks(tag[0]) else "", text))
    return [line for part in re.split(r"[\r\n]+", text) if (line := " ".join(part.split()))][:MOST_ITEMS]


def _breaks(tag: str) -> bool:
    name = re.match(r"</?([a-zA-Z0-9]+)", tag)
    return bool(name and name[1].lower() in BLOCKS)


class _Reader(HTMLParser):
    """Collects the JSON-LD scripts of a page, and the microdata of the first Recipe in it."""

    def __init__(self) -> None:
        super().__init__(convert_charrefs=True)
        self.scripts: list[str] = []
        self.script: list[str] = []
        self.microdata: dict[str, Any] = {}
        self._is_data = False
        self._depth = 0
        # How deep the Recipe and its open fields lie: (depth, field, words so far).
        self._recipe_at: int | None = None
        self._open: list[tuple[int, str, list[str]]] = []
        # How deep the things within the Recipe lie that have names of their own: its author, a step.
        self._others: list[int] = []

    def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
        if len(attrs) > MOST_ATTRIBUTES:
            raise PageTooWildError(f"one of its tags has {len(attrs):,} attributes")
        found = dict(attrs)
        if tag == "script":
            self._is_data = (found.get("type") or "").strip().lower().startswith("application/ld+json")
            return
        if tag not in VOID:
            self._depth += 1
        if self._recipe_at is None:
            if not self.microdata and (found.get("itemtype") or "").rstrip("/").endswith("schema.org/Recipe"):
                self._recipe_at = self._depth
            return
        if "itemscope" in found and tag not in VOID:
            self._others.append(self._depth)
        for field in (found.get("itemprop") or "").split()[:4]:
            if field in FIELDS and not (field == "name" and self._others):
                self._field(tag, field, found.get("content"))
        if tag in BLOCKS:
            self.handle_data("\n")

    def _field(self, tag: str, field: str, content: str | None) -> None:
        field = "recipeIngredient" if field == "ingredients" else field
        if content is not None:
            self._put(field, content)
        elif tag not in VOID and len(self._open) < MOST_DEPTH:
            if tag in ("li", "p") and self._open and self._open[-1][1] == field:
                # The one before had no end tag: HTML lets lists and paragraphs do without.
                self._put(field, "".join(self._open.pop()[2]))
            self._open.append((self._depth, field, []))

    def handle_endtag(self, tag: str) -> None:
        if tag == "script":
            if self._is_data:
                self.scripts.append("".join(self.script))
                self.script = []
            self._is_data = False
            return
        if tag in VOID:
            return
        while self._open and self._open[-1][0] >= self._depth:
            _, field, words = self._open.pop()
            self._put(field, "".join(words))
        while self._others and self._others[-1] >= self._depth:
            self._others.pop()
        if self._recipe_at is not None and self._depth <= self._recipe_at:
            self._recipe_at = None
        self._depth = max(self._depth - 1, 0)

    def handle_data(self, data: str) -> None:
        if self._is_data:
            self.script.append(data)
        elif self._open:
            self._open[-1][2].append(data)

    def _put(self, field: str, text: str) -> None:
        kept = self.microdata.setdefault(field, [])
        if text.strip() and len(kept) < MOST_ITEMS:
            kept.append(text)
