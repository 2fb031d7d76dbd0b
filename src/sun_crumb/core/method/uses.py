"""Which lines each small step uses, and how much of each: shares that add up over the method."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property

from sun_crumb.core.method.listed import Listed
from sun_crumb.core.method.mentions import (
    KEPT_BACK,
    OF_A_KIND,
    Said,
    SaidGroup,
    is_all_of,
    said_groups,
    said_lines,
    share_of,
)
from sun_crumb.core.method.names import Names
from sun_crumb.core.method.parts import Parts
from sun_crumb.core.method.records import Mention, MethodLine, Use
from sun_crumb.core.method.sentences import Clause, verb_of, verbs
from sun_crumb.core.pantry.names import fold, words_of

_OF_SOME_KIND = re.compile(r"^(?!all\b).*\b(?:things|stuff|bits)$", re.I)
# What is left of a line when it counts as used up [share].
USED_UP = 0.03
# By common practice: a yolk's and a white's part of an egg without its shell.
YOLK, WHITE = 0.34, 0.66
_PURPOSE = re.compile(r"\b(?:for|to)\s+(?:the\s+)?(?P<verb>[a-z]{3,}?)(?:ing|e)?\s*(?:the\b.*|on top.*)?$", re.I)
_FINISHES = re.compile(
    r"\b(?:dust|sprinkl|scatter|decorat|garnish|top\b|finish|serve|roll\w* (?:in|each)|coat|brush|drizzl|glaz|swirl)\w*",
    re.I,
)
_UNTIL = re.compile(r"\b(?:until|till|so (?:that )?the)\b", re.I)
_FIRST_SO_MANY = re.compile(
    r"\bfirst\s+(?P<count>two|three|four|five|six|seven|eight|nine|ten|\d)(?:\s+ingredients\b|(?=\s*(?:[,.;]|together\b|in\b|and\b|$)))",
    re.I,
)
_COUNTS = {
    w: n for n, w in enumerate(["zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"])
}
# As closely as a line's own last word is a word for several meant.
MANY = 2
_DOUGH = re.compile(r"(?:the|an?|your)\s+(?:dough|batter)\b", re.I)
# A part that is spoken of by so little more is no other part [votes]: "the butter" of two lists.
NEAR_VOTE = 0.25
# So much of a component must go unnamed before a word for the whole of it brings it in [share of its lines].
MOSTLY_UNNAMED = 0.5


# "a third of the flour, then half the milk, and so on until all is used": all of both, by turns.
_REPEATED = re.compile(
    r"\brepeat\b|\band so on\b|\buntil (?:all|everything|it|both)\b[^.;]{0,12}\b(?:used|gone|in|incorporated)\b|\balternat\w+\b",
    re.I,
)
# "until soft, then add", "till thick, gradually add": what is done after it.
_GOES_ON_AFTER = re.compile(r"[.!?]\s|[.;,]\s*(?:then|add|stir|and)|\bthen\b|\bgradually\b|\badd(?:ing)?\b", re.I)
# "Boil the topping", "spread the icing"
_OF_A_PART = re.compile(
    r"\b(?:the|your)\s+(topping|icing|glaze|frosting|sauce|filling|crumble|streusel|custard|buttercream)\b", re.I
)
# "Rub in the fat": into the flour and what lightens it.
_RUBBED_IN = re.compile(
    r"\W*(?:(?:first|sift|then),?\s+(?:and\s+)?)?rub\s+in\s+(?:the\s+)?(?:cold\s+)?(?:fat|butter|margarine|marg|lard)\b(?!\s*(?:and|,|\+|&)?\s*(?:the\s+)?flour)|\W*rub\s+(?:the\s+)?(?:fat|butter|margarine|marg|lard)\s+in\b(?!to)",
    re.I,
)
# "Knead the dough", "Whisk filling": all of it, where nothing is in it yet
_OF_THE_WHOLE = re.compile(
    r"\W*(?P<verb>knead|make|mix|whisk|beat|blend|combine)\s+(?:together\s+)?(?:(?:(?:the|an?|your)\s+)?(?P<a>dough|batter|filling|custard)"
    r"|the\s+(?P<b>topping|sponge))\s*(?:[,.;]|until\b|till\b|$)",
    re.I,
)
_SYRUP = re.compile(r"\b(?:the|with|hot|warm|cold|cooled?|sugar|this|your)\s+syrup\b", re.I)


# "Blitz to a purée", and "the purée" after it.
_TURNS_TO = re.compile(r"\b(?:in)?to\s+(?:an?\s+)?(?:\w+\s+)?(pur[ée]e|paste|powder|crumbs|pulp|mash)\b", re.I)
_WHAT_IT_BECAME = re.compile(r"\bthe\s+(?:\w+\s+)?(pur[ée]e|paste|powder|crumbs|pulp|mash)\b", re.I)


def _goes_on(text: str) -> bool:
    """Return whether something is done behind an "until": "until smooth, pass through a sieve"."""
    return bool(_GOES_ON_AFTER.search(text)) or any(
        word in verbs() for pair in _DOES_NEXT.findall(text.lower()) for word in pair
    )


_DOES_NEXT = re.compile(r"[,;]\s*(?:and\s+)?([a-z]+)|\band\s+(?=(?:stir|add|fold|mix|beat|whisk|pour)\b)([a-z]+)")
_TO_SOAK = re.compile(r"\bsoak\w*\b[^.;]{0,30}\bin\s+(?:some\s+)?(?:very\s+)?(?:cold|warm|hot|boiling)\s+water\b", re.I)
# "Keep back 100 ml.": of what the sentence before tells.
_KEEPS_SO_MUCH = re.compile(
    r"\b(?:(?:keep|hold|set|put)\s+(?:back|aside)|reserve)\s+(?:about\s+)?(?:[\d½¼¾⅓⅔]|an?\b|some\b)[^.,;]{0,24}", re.I
)


# "enough egg and milk to make a dough, keeping a tablespoon back"
_KEEPS_A_LITTLE = re.compile(
    r"\b(?:keep|hold|sav|reserv|leav)(?:e|ing)?\s+(?:back\s+)?(?:about\s+)?(?:an?\s+|1\s+|some\b|the last\s+)(?:little|tablespoon|tbsp|teaspoon|tsp|spoonful|handful|few|bit|drop)?",
    re.I,
)


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


class Resolver:
    """Goes through a method from its first step to its last and keeps account of what is left of each line."""

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
        # What steps have turned their foods into, by its word: "blitz to a purée".
        self.became: dict[str, set[int]] = {}

    @cached_property
    def named_at(self) -> list[set[int]]:
        """For each line the steps that name it and no other line as closely."""
        found: list[set[int]] = [set() for _ in self.lines]
        for n, mentions in enumerate(self.said):
            until = _UNTIL.search(self.clauses[n].text)
            for said in mentions:
                if (
                    until
                    and said.start > until.start()
                    and not _goes_on(self.clauses[n].text[until.start() : said.start])
                ):
                    continue  # "mix until no flour remains" takes none
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

    def run(self) -> list[Resolved]:
        """Return every small step resolved; what is named only by its component's name comes in where that stands first."""
        found = self._pass()
        for component in self.components:
            own = self.listed.of(component)
            unused = [n for n in own if self.left[n] > 1 - USED_UP]
            if not component or len(unused) < MOSTLY_UNNAMED * len(own):
                continue
            at = next(
                (
                    n
                    for n, r in enumerate(found)
                    if (component in r.refs and not self._is_anothers_food(component, r))
                    or self.parts.begun(self.clauses[n]) == component
                ),
                None,
            )
            at = self._by_another_word(component) if at is None else at
            if at is not None:
                self.whole_at.setdefault(at, set()).add(component)
        if self.whole_at:
            self.left = [1.0] * len(self.lines)
            found = self._pass()
        self._by_purpose(found)
        self._beside(found)
        self._greasing(found)
        self._to_the_end(found)
        return found

    def _by_another_word(self, component: str) -> int | None:
        """Return the first step that speaks of a part which the list calls something else ("Cobertura", and "boil the topping"), where only this one is left."""
        own = self.listed.of(component)
        others = [k for k, left in enumerate(self.left) if left > 1 - USED_UP and k not in own]
        known = {word for line in self.lines for word in words_of(f"{line.name} {line.component}")}
        if component == self.components[0] or len(others) > len(own):
            return None
        for n, clause in enumerate(self.clauses):
            if any(fold(said[1]) not in known for said in _OF_A_PART.finditer(clause.text)):
                return n
        return None

    def _is_anothers_food(self, component: str, step: Resolved) -> bool:
        """Return whether a step's word for a component is a food of another there: "add cream + egg", where "cream" is a part of its own."""
        own = set(words_of(component))
        return any(
            own & set(words_of(step.clause.text[m.start : m.end]))
            and m.uses
            and all(self.lines[u.position].component != component for u in m.uses)
            for m in step.mentions
        )

    def _to_the_end(self, found: list[Resolved]) -> None:
        """Let the last step that takes a part of a line take what no other does: "adding a little milk" is the milk."""
        for k, left in enumerate(self.left):
            if not USED_UP < left < 1 - USED_UP:
                continue
            at = next((m for r in reversed(found) for m in r.mentions if any(u.position == k for u in m.uses)), None)
            step = next((r for r in found if at is not None and at in r.mentions), None)
            if at is not None and step is not None:
                uses = tuple(replace(u, share=u.share + left) if u.position == k else u for u in at.uses)
                step.mentions[step.mentions.index(at)] = replace(at, uses=uses)
                self.left[k] = 0.0

    def _beside(self, found: list[Resolved]) -> None:
        """Bring in what no step names where the other food of the same line is: "flax mixed with 3 tbsp water"."""
        for k, line in enumerate(self.lines):
            if self.left[k] < 1 - USED_UP or not line.text:
                continue
            twins = set(self.listed.twins(k, line.component)) - {k}
            step = next((r for r in found if any(use.position in twins for use in r.uses)), None)
            if step is not None:
                step.mentions.append(Mention(0, 0, self._used([k], 1.0, is_sure=False)))

    def _greasing(self, found: list[Resolved]) -> None:
        """Bring in the fat that no step names but the one that greases: "butter a dish", with "1 tbsp butter" on the list."""
        for k, left in enumerate(self.left):
            if left < 1 - USED_UP or not self.listed.has_role(k, "fat"):
                continue
            spread = ((n, s) for n, said in enumerate(self.said) for s in said if s.part == "tin" and k in s.lines)
            if (told := next(spread, None)) is not None:
                n, said = told
                uses = self._used([k], 1.0, is_sure=False)
                found[n].mentions.append(Mention(said.start, said.end, uses, said.start, (k,), is_group=True))

    def _by_purpose(self, found: list[Resolved]) -> None:
        """Bring in what no step names where its own words say what it is for: "oil for frying" where something is fried."""
        for k, line in enumerate(self.lines):
            purpose = _PURPOSE.search(line.text) if self.left[k] > 1 - USED_UP else None
            if purpose is None:
                continue
            stem = purpose["verb"].lower()[:5]
            step = next(
                (
                    r
                    for r in reversed(found)
                    if any(w.lower().startswith(stem) for w in re.findall(r"[^\W\d_]+", r.clause.text))
                ),
                None,
            )
            if step is not None:
                step.mentions.append(Mention(0, 0, self._used([k], 1.0, is_sure=False)))

    def _pass(self) -> list[Resolved]:
        found: list[Resolved] = []
        current = self.components[0] if self.components else ""
        for n, clause in enumerate(self.clauses):
            current = self._component(n, current)
            found.append(self._resolved(n, clause, current))
            if turned := _TURNS_TO.search(clause.text):
                self.became[fold(turned[1])] = {use.position for use in found[-1].uses} | found[-1].back
        return found

    def _component(self, n: int, current: str) -> str:
        if len(self.components) < 2:
            return current
        if (named := self.parts.begun(self.clauses[n])) is not None:
            return named
        votes = self._votes(n, current)
        most = max(votes, key=lambda c: (votes[c], c == current, -self.components.index(c)))
        if votes[most] > votes[current] + (NEAR_VOTE if votes[current] else 0.0):
            return most
        if votes[most]:
            return current
        whole = self.whole_at.get(n, set())
        return next(iter(whole)) if len(whole) == 1 else self.parts.unvoted(self.clauses[n], current)

    def _votes(self, n: int, current: str) -> dict[str, float]:
        """Return how strongly a step's words speak of each component."""
        votes = dict.fromkeys(self.components, 0.0)
        left_out = {k for group in self.groups[n] for k in group.but}
        for said in self.said[n]:
            if said.phrase == ("water",) and len(self.said[n]) > 1:
                continue  # of all foods it tells the least
            if set(said.lines) <= left_out:
                continue  # "everything but the mango"
            for component in {self.lines[k].component for k in said.lines if self.left[k] > USED_UP}:
                best = max(said.lines[k] for k in said.lines if self.lines[k].component == component)
                votes[component] += 1 + 0.1 * best
        for group in self.groups[n]:
            if group.part and (named := self.parts.named(group.part)) is not None:
                votes[named] += 5
            elif group.kind in ("dry", "wet"):
                votes[self._staged(current, group.kind)] += 2
        return votes

    def _resolved(self, n: int, clause: Clause, component: str) -> Resolved:
        found = Resolved(clause, component, refs=self.parts.spoken_of(clause))
        untouched = {k for k, left in enumerate(self.left) if left > 1 - USED_UP}
        until = _UNTIL.search(clause.text)
        finishes = bool(_FINISHES.search(clause.text))
        if taken := self._unsaid(n, component):
            start, end = dough.span() if (dough := _DOUGH.search(clause.text)) else (0, 0)
            found.mentions.append(Mention(start, end, self._used(taken, 1.0, is_sure=False), start, tuple(taken), True))
        spans = [(g.start, g.end) for g in self.groups[n]]
        named = self.parts.prefix_end(clause)
        for said in self.said[n]:
            if any(a <= said.start < b for a, b in spans) or (said.end <= named and said.phrase in OF_A_KIND):
                continue
            if until and said.start > until.start() and not _goes_on(clause.text[until.start() : said.start]):
                spoken = {k for k in said.lines if self.left[k] < 1 - USED_UP and self.lines[k].component == component}
                found.back |= spoken
                found.mentions.append(Mention(said.start, said.end, (), said.start, tuple(spoken or said.lines)))
                continue
            self._take(found, n, said, finishes=finishes)
        for group in self.groups[n]:
            self._take_group(found, n, group)
        if _SYRUP.search(clause.text) and not any(
            "syrup" in clause.text[said.start : said.end].lower() for said in self.said[n]
        ):
            found.back |= self._boiled(component)
        found.back |= self._of_what_became(n)
        if many := _FIRST_SO_MANY.search(clause.text):
            word = many["count"].lower()
            count = _COUNTS.get(word) or int(word)
            own = self.listed.of(component)[:count]
            behind = [m for m in found.mentions if m.start >= many.end() and not set(m.of) & set(own)]
            found.mentions = [Mention(many.start(), many.end(), self._used(own, 1.0), many.start(), tuple(own), True)]
            found.mentions += behind
        for whole in sorted(self.whole_at.get(n, ())):
            own = [k for k, line in enumerate(self.lines) if line.component == whole and self.left[k] > USED_UP]
            spot = re.search(rf"\b{re.escape(whole.split()[-1])}\w*", clause.text, re.I) or _OF_A_PART.search(
                clause.text
            )
            start, end = spot.span() if spot else (0, 0)
            uses = self._used(own, 1.0)
            here = next(
                (m for m in found.mentions if spot and m.start <= start < m.end and m.uses and not m.is_group), None
            )
            if here is not None:
                # "Toss fruit", with sugar and cinnamon in the part called so: all of it at once.
                found.mentions.remove(here)
                uses, own = (*here.uses, *uses), [*here.of, *own]
            found.mentions.append(Mention(start, end, uses, start, tuple(own), True))
        found.mentions.sort(key=lambda m: m.start)
        # "the split vanilla pod" names its line twice; what goes in here is not in already.
        found.back -= untouched
        return found

    def _of_what_became(self, n: int) -> set[int]:
        """Return the lines of what a step calls by what it was made into: "the purée"."""
        words = (
            m[1]
            for m in _WHAT_IT_BECAME.finditer(self.clauses[n].text)
            if not any(said.start <= m.start(1) < said.end for said in self.said[n])
        )
        return set().union(*(self.became.get(fold(word), set()) for word in words))

    def _boiled(self, component: str) -> set[int]:
        """Return the sugar that is in already: what a step calls the syrup where no line is called so."""
        return {
            k
            for k, line in enumerate(self.lines)
            if line.component == component and self.left[k] < 1 - USED_UP and self.listed.has_role(k, "sugar")
        }

    def _unsaid(self, n: int, component: str) -> list[int]:
        """Return the lines that a verb without an object takes: fat and sugar for "Cream,", all for "Blitz until silky" where nothing is in yet."""
        text, case = self.clauses[n].text, list[int]()
        own = [k for k, line in enumerate(self.lines) if line.component == component and self.left[k] > 1 - USED_UP]
        if re.match(r"\W*cream\s*(?:[,.;]|b\s*(?:\+|&|and)\s*s\b|until\b|well\b|together\b|for\b|$)", text, re.I):
            return [k for k in own if self.listed.has_role(k, "fat", "sugar")]
        if _RUBBED_IN.match(text):
            floury = [k for k in own if self.listed.has_role(k, "flour", "starch", "leaven", "salt")]
            return [k for k in floury if not self.named_at[k]]
        alone = re.match(
            r"\W*(?:(?:mash|crush|chop|grate|measure)\s*(?:,|and\b|&)\s*(?:then\s+)?)?(?P<verb>[a-z]+)\s*(?:up\s+|well\s+|all\s+)?(?:[,.;]|until\b|till\b|for\b|in (?:a|the)\b|$)",
            text,
            re.I,
        )
        if alone is None:
            # "Knead the dough", where nothing is in it yet
            whole = _OF_THE_WHOLE.match(text)
            # What the list has as a part of its own comes in by that name.
            alone = whole if whole and self.parts.named(whole["a"] or whole["b"]) is None else None
        if alone and len(own) == 1 and self.listed.has_role(own[0], "flour") and self.listed.has_role(own[0], "fat"):
            # "Mix, pour into the crust": what goes into a bought one.
            component = next((c for c in self.components if c != component and self._is_untouched(c)), component)
            case, own = own, self.listed.of(component)
        is_start = (
            alone
            and (verb := verb_of(alone["verb"]))
            and verb
            in ("blend", "blitz", "mix", "process", "combine", "whisk", "pulse", "puree", "knead", "make", "rub")
        )
        begun = [k for k in self.listed.of(component) if k not in own]
        is_first = (
            all(set(said.lines) <= set(case) for said in self.said[n])
            and not self.groups[n]
            # "Line the tin with the pastry. Whisk filling."
            and all(len(own) > 1 and self.listed.has_role(k, "flour") and self.listed.has_role(k, "fat") for k in begun)
        )
        if is_start and is_first:
            return [k for k in own if not any(at > n for at in self.named_at[k]) and not self.listed.is_to_finish(k)]
        return []

    def _is_untouched(self, component: str) -> bool:
        return all(self.left[k] > 1 - USED_UP for k in self.listed.of(component))

    def _used(self, positions: Iterable[int], share: float, *, is_sure: bool = True) -> tuple[Use, ...]:
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

    def _take_group(self, found: Resolved, n: int, group: SaidGroup) -> None:
        component = found.component
        named = self.parts.named(group.part) if group.part else None
        if named is not None:
            component = named
        elif group.kind in ("dry", "wet"):
            component = self._staged(component, group.kind)
        elif group.kind == "all" and _OF_SOME_KIND.search(found.clause.text[group.start : group.end]):
            return  # "the crunchy bits": of no part that the list names
        own = self.listed.of(component)
        if group.kind == "both":
            found.joins_all = True
            return
        wanted = self._wanted(group, component, own, is_here=component == found.component)
        elsewhere = [k for k in wanted if any(at != n for at in self.named_at[k])]
        if group.kind == "dry":
            elsewhere += [k for k in wanted if self._is_creamed(k, n)]
        if group.kind == "all" and group.part.endswith("ed") and self.parts.named(group.part) is None:
            found.back |= {k for k in own if self.listed.stage(k, own) == "dry"}
            return  # "the sifted ingredients": what is in already
        free = [k for k in wanted if self.left[k] > 1 - USED_UP and k not in group.but and k not in elsewhere]
        if group.kind in ("others", "all"):
            free = [
                k
                for k in wanted
                if self.left[k] > USED_UP and k not in group.but and not any(at > n for at in self.named_at[k])
            ]
            # "Spread the rest on top": the water that coffee is dissolved in goes with its coffee.
            free = [k for k in free if not self.listed.is_beside_another(k)]
            if named is not None and group.kind == "all":
                # "Knead the dough ingredients": all of them, though sugar is spoken of again with the filling.
                free = [k for k in own if self.left[k] > USED_UP and k not in group.but]
            free = [k for k in free if not self.listed.is_to_finish(k)] or free
            found.joins_all = not group.part and any(self.left[k] < 1 - USED_UP for k in own)
        if not free:
            found.back |= set(wanted)
        found.mentions.append(Mention(group.start, group.end, self._used(free, 1.0), group.start, tuple(wanted), True))

    def _wanted(self, group: SaidGroup, component: str, own: list[int], *, is_here: bool) -> list[int]:
        """Return the lines of a component that a word for several may mean."""
        stage = group.kind if group.kind in ("dry", "wet") else group.part.partition(" ")[0]
        if stage in ("dry", "wet"):
            return [k for k in own if self.listed.stage(k, own) == stage]
        if group.part and is_here and self.parts.named(group.part) is None and group.kind == "all":
            return [k for k in own if set(words_of(group.part)) & set(words_of(self.lines[k].name))] or own
        return own

    def _staged(self, component: str, kind: str) -> str:
        """Return the component whose lines are listed as dry or wet ones, where the step's own has none of them."""
        of = {line.component for line in self.lines if line.stage == kind}
        own = self.listed.of(component)
        begun = [k for k in own if self.listed.stage(k, own) == kind and self.left[k] < 1 - USED_UP]
        if not of and any(not self.listed.has_role(k, "sugar") for k in begun):
            return component  # "mix wet and dry into the eggs": what this part has begun with
        if not of:
            # A shelf's recipe tells no stages: where such foods are still to come.
            whole = range(len(self.lines))
            of = {
                self.lines[k].component
                for k in whole
                if self.left[k] > 1 - USED_UP and self.listed.stage(k, whole) == kind
            }
        if kind == "dry":
            # "Cut the butter into the dry things": those with flour, and no fruit's cornflour and sugar.
            floury = {
                line.component
                for k, line in enumerate(self.lines)
                if self.left[k] > 1 - USED_UP and self.listed.has_role(k, "flour")
            }
            of = of & floury or of
        return component if component in of or not of else next(c for c in self.components if c in of)

    def _is_creamed(self, k: int, n: int) -> bool:
        """Return whether a sugar among the dry things is what another step creams or rolls in: "cream butter and 1 c. sugar"."""
        if not self.listed.has_role(k, "sugar"):
            return False
        return any(
            k in said.lines and said.phrase[-1] == "sugar"
            for at in range(len(self.said))
            if at != n
            for said in self.said[at]
            # Where another part has sugar of its own, that may be meant.
            if all(self.lines[j].component == self.lines[k].component for j in said.lines)
        )

    def _is_other_water(self, said: Said, component: str, n: int) -> bool:
        """Return whether water is the tap's, and not what another part of the recipe lists and names itself."""
        if said.phrase != ("water",) or not all(any(at != n for at in self.named_at[k]) for k in said.lines):
            return False
        # "Soak the gelatine in cold water"; "simmer the fruit, sugar and water" is the list's.
        is_to_soak = _TO_SOAK.search(self.clauses[n].text) is not None
        return all(self.lines[k].component != component or is_to_soak for k in said.lines)

    def _named_elsewhere(self, n: int, said: Said) -> set[int]:
        """Return the lines that another step calls by more words, and no other line so: "the almonds" are not the flaked ones scattered later."""
        words = set(said.phrase)
        return {k for phrase, k, steps in self.called if words < phrase and steps - {n}}

    def _take(self, found: Resolved, n: int, said: Said, *, finishes: bool) -> None:
        if self._is_other_water(said, found.component, n):
            return
        pool = self._pool(said, found.component)
        # "the nuts, fruit and zest": the zest is not of the fruit.
        nearer = {
            k for other in self.said[n] if other is not said for k, how in other.lines.items() if how > pool.get(k, how)
        }
        nearer |= self._named_elsewhere(n, said)
        pool = {k: how for k, how in pool.items() if k not in nearer} or pool
        if said.part == "tin":
            greasing = [k for k in said.lines if self.listed.is_to_grease(k) and self.left[k] > USED_UP]
            found.mentions.append(
                Mention(
                    said.start, said.end, self._used(greasing[:1], 1.0), said.start, tuple(said.lines), greases=True
                )
            )
            return
        if said.part == "back":
            spoken = {k for k in said.lines if self.lines[k].component == found.component} or set(said.lines)
            found.back |= spoken
            found.mentions.append(Mention(said.start, said.end, (), said.start, tuple(spoken)))
            return
        chosen, is_sure = self._chosen(pool, n, said, finishes=finishes)
        is_of_a_kind = said.part == "whole" and said.phrase in OF_A_KIND
        if is_of_a_kind and (here := {use.position for use in found.uses} & set(pool)):
            # "slice most of the strawberries, sandwich with the sliced fruit"
            found.back |= here
            found.mentions.append(Mention(said.start, said.end, (), said.start, tuple(here)))
            return
        if said.phrase in OF_A_KIND and said.part in ("share", "rest"):
            whole = [k for k in pool if not self.listed.is_to_finish(k)]
            if whole and all(self.left[k] <= USED_UP for k in whole):
                # "two thirds of the fruit", that was cooked before: a part of what was made of it.
                found.back |= set(whole)
                found.mentions.append(Mention(said.start, said.end, (), said.lead, tuple(whole)))
                return
        if is_of_a_kind and any(self.left[k] <= USED_UP for k in pool):
            # "the fruit" that is cooked: not the handful that was kept back.
            chosen = [k for k in chosen if self.left[k] > 1 - USED_UP]
        if not chosen:
            # Another part's pinch of salt is no reason to wait for it.
            found.back |= {
                k for k in pool if self.lines[k].component == found.component or not self.listed.has_role(k, "salt")
            }
            found.mentions.append(Mention(said.start, said.end, (), said.lead, tuple(pool)))
            return
        uses: tuple[Use, ...] = ()
        for k in chosen:
            share = self._share(k, n, said)
            uses += self._used([k], share, is_sure=is_sure)
        found.back |= {k for k in chosen if self.left[k] < 1 - USED_UP and all(u.position != k for u in uses)}
        found.mentions.append(
            Mention(said.start, said.end, uses, said.lead, tuple(chosen), is_part=said.part not in ("whole", "back"))
        )

    def _pool(self, said: Said, component: str) -> dict[int, int]:
        """Return the lines that a mention may mean: of the step's component, else of the others where they are unused."""
        own = {k: how for k, how in said.lines.items() if self.lines[k].component == component}
        if own and (any(self.left[k] > USED_UP for k in own) or said.part == "rest"):
            return own
        others = {k: how for k, how in said.lines.items() if k not in own and self.left[k] > USED_UP}
        if own and max(own.values()) >= max(others.values(), default=0):
            return own
        return others or own or dict(said.lines)

    def _chosen(self, pool: dict[int, int], n: int, said: Said, *, finishes: bool) -> tuple[list[int], bool]:
        if not finishes and (others := {k: how for k, how in pool.items() if not self.listed.is_to_finish(k)}):
            # "Mix butter, currants and sugar": not the one for sprinkling.
            pool = others if any(self.left[k] > USED_UP for k in others) else pool
        best = max(pool.values())
        free = [k for k in self._close(pool, said) if self.left[k] > USED_UP]
        if said.part == "rest":
            begun = [k for k in pool if USED_UP < self.left[k] < 1 - USED_UP]
            return begun or [k for k in pool if self.left[k] > USED_UP], bool(begun)
        if not free:
            return [], True
        if len(free) == 1:
            return free, True
        if exact := [k for k in free if is_all_of(said, self.names, k)]:
            return exact[:1], True
        finishing = [k for k in free if self.listed.is_to_finish(k)]
        if finishes and finishing:
            return finishing[:1], True
        free = [k for k in free if k not in finishing] or free
        # Icing sugar that goes into the fruit of its own line is not the sugar of the yolks.
        free = [k for k in free if not self.listed.is_beside_another(k)] or free
        later = [k for k in free if any(at != n for at in self.named_at[k])]
        kept = [k for k in free if k not in later] or free
        if said.is_many or len(kept) == 1:
            return (self._no_flavours(kept if later else free) if said.is_many else kept), True
        if best == 3:
            return kept[:1], True
        return kept, best >= 2

    def _close(self, pool: dict[int, int], said: Said) -> list[int]:
        """Return the lines that a mention means most closely; all the sugars for "both sugars"."""
        best = max(pool.values())
        # "the sugars": the brown one with the white, though that is called sugar alone.
        is_sugars = said.is_many and said.phrase[-1] == "sugar"
        close = [k for k, how in pool.items() if how == best or (is_sugars and how >= MANY)]
        if is_sugars and len(close) == 1:
            # "both sugars": the muscovado too, that no word calls sugar.
            return [k for k in pool if k in close or self.listed.has_role(k, "sugar")]
        return close

    def _no_flavours(self, found: list[int]) -> list[int]:
        """Return lines that a word for several means: "the almonds" are no almond extract."""
        return [k for k in found if not self.listed.has_role(k, "flavour")] or found

    def _share(self, k: int, n: int, said: Said) -> float:
        if said.amount is not None:
            share = share_of(said, self.names, k)
            return 1.0 if share is None else share
        part = said.phrase[-1]
        food = self.lines[k].ingredient
        if part in ("yolk", "white") and food is not None and food.key == "egg":
            return YOLK if part == "yolk" else WHITE
        if said.part == "share" and _REPEATED.search(self.clauses[n].text):
            return 1.0
        if said.part == "whole" and self._is_divided_later(k, n):
            return 1 - KEPT_BACK if _KEEPS_A_LITTLE.search(self.clauses[n].text) else 0.5
        return said.share

    def _is_divided_later(self, k: int, n: int) -> bool:
        """Return whether a later step takes the rest of a line of which this one tells no part."""
        if any(
            (kept := _KEEPS_SO_MUCH.search(self.clauses[at].text))
            and not any(kept.start() <= s.start < kept.end() for s in self.said[at])
            for at in range(n, min(n + 2, len(self.clauses)))
        ):
            return False  # all of it is made ready here, and then divided
        later: list[Said] = []
        for s in (s for at in range(n + 1, len(self.said)) for s in self.said[at] if k in s.lines):
            if s.part in ("share", "amount", "most", "little"):
                break  # of that one the rest is meant
            if s.part == "rest":
                later.append(s)
        others = [
            j
            for s in later
            for j in s.lines
            if j != k and self.left[j] > USED_UP and self.lines[j].component == self.lines[k].component
        ]
        return bool(later) and not others and self.left[k] > 1 - USED_UP
