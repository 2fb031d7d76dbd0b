"""The recipe in a saved page: schema.org data as JSON-LD, else as microdata.

Read with the standard library alone, in one pass whose work is bounded: by size, by depth and by time. Nothing of the page
is ever shown as it is; what comes out is plain text for the reader.
"""

from __future__ import annotations

import json
import re
from collections.abc import Callable, Iterator
from html import unescape
from html.parser import HTMLParser
from time import monotonic
from typing import Any

PIECE = 8_192
MOST_SECONDS = 1.4
MOST_DEPTH = 8
MOST_ATTRIBUTES = 200
MOST_TAG = 200_000
MOST_ITEMS = 600
MOST_UNCLOSED = 60
SCRIPT = re.compile(r"<script\b[^<>]{0,1000}>", re.IGNORECASE)
FIELDS = ("name", "recipeYield", "recipeIngredient", "ingredients", "recipeInstructions")
# Elements that have no end, so that what follows is not inside them.
VOID = frozenset(
    ["area", "base", "br", "col", "embed", "hr", "img", "input", "link", "meta", "param", "source", "track", "wbr"]
)
# Elements whose end tag may be left out before another of their kind.
ENDLESS = frozenset(("li", "p", "td", "tr"))
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
    for script in _data_scripts(page):
        try:
            found = recipe_of(json.loads(_bare(script), strict=False))
        except (ValueError, RecursionError):
            continue
        if found is not None and (found.get("recipeIngredient") or found.get("ingredients")):
            return found
    return _microdata(page)


def _data_scripts(page: str) -> Iterator[str]:
    """Give the JSON-LD scripts of a page. What a script holds ends at the next end tag, whatever it is: HTML says so."""
    at = 0
    while found := SCRIPT.search(page, at):
        end = page.find("</script", found.end())
        at = len(page) if end < 0 else end
        if "ld+json" in found[0].lower():
            yield page[found.end() : at]


def _microdata(page: str) -> dict[str, Any] | None:
    marked = page.find("schema.org/Recipe")
    if marked < 0:
        return None
    reader = _Microdata()
    # From the tag that marks the Recipe to its end: the rest of a page is none of our business.
    fed(reader, page[max(page.rfind("<", 0, marked), 0) :], is_over=lambda: bool(reader.found) and not reader.is_inside)
    while reader.stack:
        reader.leave()
    return reader.found if reader.found.get("recipeIngredient") else None


def fed(parser: HTMLParser, page: str, is_over: Callable[[], bool] = lambda: False) -> None:
    """Feed *page* to *parser* in pieces, until *is_over*.

    Raises
    ------
    PageTooWildError
        It takes too long, or a tag in it never ends.
    """
    until = monotonic() + MOST_SECONDS
    for start in range(0, len(page), PIECE):
        if is_over():
            return
        parser.feed(page[start : start + PIECE])
        if monotonic() > until:
            raise PageTooWildError("it takes too long; copy the recipe's text into Bring in instead")
        if len(parser.rawdata) > MOST_TAG:
            raise PageTooWildError("a tag or comment in it never ends")


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


class _Microdata(HTMLParser):
    """Collects the fields of the first Recipe that a page's attributes mark."""

    def __init__(self) -> None:
        super().__init__(convert_charrefs=True)
        self.found: dict[str, Any] = {}
        # The open elements; how deep the Recipe lies, its open fields (depth, name, words), and the things in it that have
        # names of their own: its author, a step.
        self.stack: list[str] = []
        self._recipe_at = 0
        self._open: list[tuple[int, str, list[str]]] = []
        self._others: list[int] = []

    @property
    def is_inside(self) -> bool:
        """Whether the Recipe is not at its end yet."""
        return self._recipe_at > 0

    def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
        if len(attrs) > MOST_ATTRIBUTES:
            raise PageTooWildError(f"one of its tags has {len(attrs):,} attributes")
        if tag in ENDLESS and self.stack and self.stack[-1] == tag:
            self.leave()
        is_void = tag in VOID
        if not is_void:
            self.stack.append(tag)
        given = dict(attrs)
        if not self._recipe_at:
            if not self.found and (given.get("itemtype") or "").rstrip("/").endswith("schema.org/Recipe"):
                self._recipe_at = len(self.stack)
            return
        if "itemscope" in given and not is_void:
            self._others.append(len(self.stack))
        for field in (given.get("itemprop") or "").split()[:4]:
            if field in FIELDS and not (field == "name" and self._others):
                self._begin(field, given.get("content"), is_void)
        if tag in BLOCKS:
            self.handle_data("\n")

    def _begin(self, field: str, content: str | None, is_void: bool) -> None:
        field = "recipeIngredient" if field == "ingredients" else field
        if content is not None:
            self._put(field, content)
        elif not is_void and len(self._open) < MOST_DEPTH:
            self._open.append((len(self.stack), field, []))

    def handle_endtag(self, tag: str) -> None:
        if tag in self.stack[-MOST_UNCLOSED:]:
            while self.stack and self.leave() != tag:
                pass

    def leave(self) -> str:
        """Close the innermost element and what begins with it; return its tag."""
        depth = len(self.stack)
        while self._open and self._open[-1][0] >= depth:
            _, field, words = self._open.pop()
            self._put(field, "".join(words))
        while self._others and self._others[-1] >= depth:
            self._others.pop()
        if depth <= self._recipe_at:
            self._recipe_at = 0
        return self.stack.pop()

    def handle_data(self, data: str) -> None:
        if self._open:
            self._open[-1][2].append(data)

    def _put(self, field: str, text: str) -> None:
        kept = self.found.setdefault(field, [])
        if text.strip() and len(kept) < MOST_ITEMS:
            kept.append(text)
