"""Which part of the dessert, which component, the words of a step name."""

from __future__ import annotations

import re
from dataclasses import dataclass

from sun_crumb.core.method.listed import Listed
from sun_crumb.core.method.sentences import Clause
from sun_crumb.core.pantry.names import words_of

_PREFIX = re.compile(
    r"^\W*(?:(?:meanwhile|now|next|first|then|while [^,]{3,40}),?\s+)?(?:(?:for|to make|make|making|prepare|to prepare|start with)\s+(?:the\s+|your\s+)?(?P<a>[\w&' -]{2,40}?)\s*(?:[,:–]|(?=\b(?:by|first)\b)|(?<=\w)\s+(?=(?:stir|mix|beat|whisk|put|place|melt|combine|heat|cream|rub|boil|cook|blend|sift|crush)\b))|(?P<b>[A-Za-z&' -]{2,30}):)",
    re.I,
)
_DOUGH = re.compile(r"\b(?:dough|pastry)\b", re.I)
# "Top.", "Fill and roll": the part by what is done with it.
_VERBS_OF_PART = {
    "topping": ("top", "frost"), "top": ("frost",), "filling": ("fill",), "frosting": ("frost", "ice"), "icing": ("ice", "frost"),
    "glaze": ("glaze",), "coating": ("coat",), "decoration": ("decorate",),
}  # fmt: skip
# "Cream sugar and butter for the batter"
_FOR_A_PART = re.compile(r"\bfor\s+the\s+([\w'&-]+(?:\s[\w'&-]+)?)\W*$", re.I)
# Words that name no part.
_NEUTRAL = frozenset({"the", "for", "and", "ingredient"})


def _first_words(clause: Clause) -> tuple[str, int]:
    """Return what a step's first words say that it is for, and where they end: "For the glaze, ..."; nothing where they tell none."""
    prefix = _PREFIX.match(clause.text)
    return ((prefix["a"] or prefix["b"]), prefix.end()) if prefix else ("", 0)


@dataclass(frozen=True, slots=True)
class Parts:
    """The components of a list, in its order."""

    listed: Listed
    components: tuple[str, ...]

    def named(self, words: str) -> str | None:
        """Return the component that some words name, None where they name none."""
        said = set(words_of(words))
        best, most = None, 0
        for component in self.components:
            own = set(words_of(component)) - _NEUTRAL
            if own and (shared := len(own & said)) > most:
                best, most = component, shared
        return best

    def begun(self, clause: Clause) -> str | None:
        """Return the component that the words before a step's own, "For the glaze:", or its heading, name."""
        last = _FOR_A_PART.search(clause.text)
        for words in (_first_words(clause)[0], last[1] if last else "", clause.part):
            if words and (named := self.named(words)) is not None:
                return named
        return None

    def prefix_end(self, clause: Clause) -> int:
        """Return where the words end that name a component before a step's own: "For the fruit, ..."; 0 where none do."""
        words, end = _first_words(clause)
        return end if words and self.named(words) is not None else 0

    def unvoted(self, clause: Clause, current: str) -> str:
        """Return the component of a step whose words speak of no line: the dough's, the main one behind "Bake:", else the current one."""
        prefix = _PREFIX.match(clause.text)
        if _DOUGH.search(clause.text):
            return self._dough(current)
        return self.components[0] if prefix and prefix["b"] and "" in self.components else current

    def _dough(self, current: str) -> str:
        """Return the component that is called the dough where it has no such name: the current one if it holds flour, else the first that does."""
        floury = {line.component for k, line in enumerate(self.listed.lines) if self.listed.has_role(k, "flour")}
        return current if current in floury else next((c for c in self.components if c in floury), current)

    def spoken_of(self, clause: Clause) -> set[str]:
        """Return the components that a step's words name, anywhere and by what is done with them."""
        text = " ".join(words_of(clause.text))
        found = set()
        for component in self.components:
            words = [w for w in words_of(component) if w not in _NEUTRAL and w != "to"]
            said = {form for w in (words if len(words) < 3 else words[-1:]) for form in (w, *_VERBS_OF_PART.get(w, ()))}
            if any(re.search(rf"\b{re.escape(w)}\b", text) for w in said):
                found.add(component)
        return found
