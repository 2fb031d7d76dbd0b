"""The words of a page that marks no recipe for programs, as a reader sees them: one line for each line of the page.

Menus, scripts and footers are left out; items of a list stand on lines of their own, the cells of a row beside each other.
"""

from __future__ import annotations

import re
from html.parser import HTMLParser

from sun_crumb.formats.page import MOST_UNCLOSED, VOID, fed

# Elements that begin a line of their own, and those with an empty line before them.
LINES = frozenset(["address", "article", "br", "dd", "div", "dl", "dt", "figcaption", "li", "main", "ol", "section"])
LINES |= {"table", "tr", "ul", "pre", "blockquote"}
PARAGRAPHS = frozenset(["h1", "h2", "h3", "h4", "h5", "h6", "p"])
# Elements whose words are none of the recipe.
UNREAD = frozenset(["head", "script", "style", "nav", "footer", "noscript", "svg", "template", "button", "select"])
UNREAD |= {"aside", "iframe", "form"}
CELLS = frozenset(["td", "th"])


def words_of_page(page: str) -> str:
    """Return the lines of a page, of its main part or article where it has one; empty where it shows nothing.

    Raises
    ------
    PageTooWildError
        The page is made to keep a program busy, or is broken beyond reading.
    """
    reader = _Words()
    fed(reader, _main_part(page))
    lines = (line.strip(" \t") for line in "".join(reader.words).split("\n"))
    told = re.sub(r"\n{3,}", "\n\n", "\n".join(re.sub(r"[ \r\f\v]+", " ", line) for line in lines))
    return told.strip()


def _main_part(page: str) -> str:
    for tag in ("main", "article"):
        start, end = page.find(f"<{tag}"), page.rfind(f"</{tag}")
        if 0 <= start < end:
            return page[start:end]
    return page


class _Words(HTMLParser):
    """Collects the words of a page, with a line end where an element begins a line."""

    def __init__(self) -> None:
        super().__init__(convert_charrefs=True)
        self.words: list[str] = []
        # The open elements, and how deep the one lies whose words are not read; 0 for none.
        self._open: list[str] = []
        self._unread_at = 0
        # The number that the next item of each open list bears; 0 for one without numbers.
        self._lists: list[int] = []

    def handle_starttag(self, tag: str, attrs: list[tuple[str, str | None]]) -> None:
        if tag not in VOID:
            self._open.append(tag)
            if tag in UNREAD and not self._unread_at:
                self._unread_at = len(self._open)
        if self._unread_at:
            return
        if tag in PARAGRAPHS:
            self.words.append("\n\n")
        elif tag in LINES:
            self.words.append("\n")
        elif tag in CELLS:
            self.words.append("\t")
        if tag in ("ol", "ul"):
            self._lists.append(int(tag == "ol"))
        elif tag == "li" and self._lists and self._lists[-1]:
            self.words.append(f"{self._lists[-1]}. ")
            self._lists[-1] += 1

    def handle_endtag(self, tag: str) -> None:
        was_unread = self._unread_at > 0
        if tag in self._open[-MOST_UNCLOSED:]:
            while self._open.pop() != tag:
                pass
            self._unread_at = 0 if len(self._open) < self._unread_at else self._unread_at
        if was_unread:
            return
        if tag in ("ol", "ul") and self._lists:
            self._lists.pop()
        if tag in LINES or tag in PARAGRAPHS:
            self.words.append("\n")

    def handle_data(self, data: str) -> None:
        if not self._unread_at:
            # A line end in the page's source is a blank.
            self.words.append(re.sub(r"\s+", " ", data))
