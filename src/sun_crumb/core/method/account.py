"""What a method's steps have taken of each line so far, and what their words say: kept while the steps are gone through in order."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field
from functools import cached_property

from sun_crumb.core.method.listed import Listed
from sun_crumb.core.method.mentions import said_lines
from sun_crumb.core.method.names import Names
from sun_crumb.core.method.parts import Parts
from sun_crumb.core.method.records import Mention, MethodLine, Use
from sun_crumb.core.method.sentences import Clause, verbs
from sun_crumb.core.method.several import said_groups

# What is left of a line when it counts as used up [share].
USED_UP = 0.03
UNTIL = re.compile(r"\b(?:until|till|so (?:that )?the)\b", re.I)
# "until soft, then add", "till thick, gradually add": what is done after it.
_GOES_ON_AFTER = re.compile(r"[.!?]\s|[.;,]\s*(?:then|add|stir|and)|\bthen\b|\bgradually\b|\badd(?:ing)?\b", re.I)


def goes_on(text: str) -> bool:
    """Return whether something is done behind an "until": "until smooth, pass through a sieve"."""
    return bool(_GOES_ON_AFTER.search(text)) or any(
        word in verbs() for pair in _DOES_NEXT.findall(text.lower()) for word in pair
    )


_ANOTHER = re.compile(r"\b(?:another|more|extra)\b[^.;,]{0,25}$", re.I)
_IF_LIKED = re.compile(r"\b(?:if (?:you (?:like|want)|needed|it needs|wanted)|to taste)\b", re.I)
_DOES_NEXT = re.compile(r"[,;]\s*(?:and\s+)?([a-z]+)|\band\s+(?=(?:stir|add|fold|mix|beat|whisk|pour)\b)([a-z]+)")


@dataclass(slots=True)
class Resolved:
    """A small step with what it uses and speaks of: new lines, lines that are in already, components, and whether it joins all that is open."""

    clause: Clause
    component: str
    mentions: list[Mention] = field(default_factory=list)
    back: set[int] = field(default_factory=set)
    refs: set[str] = field(default_factory=set)
    joins_all: bool = False

    @property
    def uses(self) -> tuple[Use, ...]:
        """What it takes of the list, a line once."""
        found: dict[int, Use] = {}
        for mention in self.mentions:
            for use in mention.uses:
                old = found.get(use.position)
                share = use.share + (old.share if old else 0.0)
                found[use.position] = Use(use.position, share, None, use.is_sure and (old is None or old.is_sure))
        return tuple(found.values())


class Account:
    """The lines of a recipe, the steps of its method in order, and what is left of each line."""

    def __init__(self, lines: Sequence[MethodLine], clauses: Sequence[Clause]) -> None:
        self.lines, self.clauses = tuple(lines), list(clauses)
        self.names = Names.of(lines)
        self.components = list(dict.fromkeys(line.component for line in lines))
        self.listed = Listed(self.lines)
        self.parts = Parts(self.listed, tuple(self.components))
        self.said = [said_lines(c.text, self.names) for c in clauses]
        self.groups = [list(said_groups(c.text, self.names)) for c in clauses]
        self.left = [1.0] * len(self.lines)
        self.whole_at: dict[int, set[str]] = {}
        # How much of a line was set aside before it goes in: "Reserve 3 tbsp of the custard." [share]
        self.reserved: dict[int, float] = {}
        # What steps have turned their foods into, by its word: "blitz to a purée".
        self.became: dict[str, set[int]] = {}

    @cached_property
    def named_at(self) -> list[set[int]]:
        """For each line the steps that name it and no other line as closely."""
        found: list[set[int]] = [set() for _ in self.lines]
        for n, mentions in enumerate(self.said):
            until = UNTIL.search(self.clauses[n].text)
            for said in mentions:
                if (
                    until
                    and said.start > until.start()
                    and not goes_on(self.clauses[n].text[until.start() : said.start])
                ):
                    continue  # "mix until no flour remains" takes none
                if _IF_LIKED.search(self.clauses[n].text) and _ANOTHER.search(self.clauses[n].text[: said.start]):
                    continue  # "add another spoon of syrup if you like"
                best = max(said.lines.values())
                close = [k for k, how in said.lines.items() if how == best]
                if best >= 2 and len(close) == 1:
                    found[close[0]].add(n)
        return found

    @cached_property
    def called(self) -> list[tuple[frozenset[str], int, set[int]]]:
        """Every phrase that means one line, that line, and the steps that say so: few, however long the method is."""
        found: dict[tuple[frozenset[str], int], set[int]] = {}
        for n, mentions in enumerate(self.said):
            for said in mentions:
                if len(said.phrase) > 1 and len(close := said.closest(self.names)) == 1:
                    found.setdefault((frozenset(said.phrase), close[0]), set()).add(n)
        return [(phrase, k, steps) for (phrase, k), steps in found.items()]

    def is_untouched(self, component: str) -> bool:
        return all(self.left[k] > 1 - USED_UP for k in self.listed.of(component))

    def used(self, positions: Iterable[int], share: float, *, is_sure: bool = True) -> tuple[Use, ...]:
        """Take a share of each line, at most what is left of it."""
        uses = []
        for k in positions:
            taken = min(share, self.left[k])
            if taken > USED_UP / 2:
                self.left[k] = max(self.left[k] - taken, 0.0)
                if self.left[k] < USED_UP:
                    taken, self.left[k] = taken + self.left[k], 0.0
                uses.append(Use(k, taken, None, is_sure))
        return tuple(uses)
