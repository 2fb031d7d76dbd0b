"""Which lines each small step uses, and how much of each: shares that add up over the method."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.method.account import UNTIL, USED_UP, Account, Resolved, goes_on
from sun_crumb.core.method.chosen import chosen_of, pool_of
from sun_crumb.core.method.groups_taken import RESERVES, staged_component, take_group
from sun_crumb.core.method.mentions import OF_A_KIND
from sun_crumb.core.method.objectless import unsaid
from sun_crumb.core.method.records import Mention, Use
from sun_crumb.core.method.said import Said
from sun_crumb.core.method.sentences import Clause
from sun_crumb.core.method.shares import share_taken
from sun_crumb.core.method.unnamed import OF_A_PART, bring_in, by_another_word
from sun_crumb.core.pantry.names import fold, words_of

_FINISHES = re.compile(
    r"\b(?:dust|sprinkl|scatter|decorat|garnish|top\b|finish|serve|roll\w* (?:in|each)|coat|brush|drizzl|glaz|swirl)\w*",
    re.I,
)
_FIRST_SO_MANY = re.compile(
    r"\bfirst\s+(?P<count>two|three|four|five|six|seven|eight|nine|ten|\d)(?:\s+ingredients\b|(?=\s*(?:[,.;]|together\b|in\b|and\b|\+|plus\b|with\b|$)))",
    re.I,
)
_COUNTS = {
    w: n for n, w in enumerate(["zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"])
}
_CITRUS = frozenset({"lemon", "lime", "orange", "grapefruit", "clementine"})
_JUICES = re.compile(r"\b(?:squeeze|juice)\s+(?:the|all|both|your)\b", re.I)
_DOUGH = re.compile(r"(?:the|an?|your)\s+(?:dough|batter)\b", re.I)
# A part that is spoken of by so little more is no other part [votes]: "the butter" of two lists.
NEAR_VOTE = 0.25
# A food that is in already speaks for its part by so much of a vote [votes] (judgement).
OF_WHAT_IS_IN = 0.6
# So much of a component must go unnamed before a word for the whole of it brings it in [share of its lines].
MOSTLY_UNNAMED = 0.5


_SYRUP = re.compile(r"\b(?:the|with|hot|warm|cold|cooled?|sugar|this|your)\s+syrup\b", re.I)


# "Blitz to a purée", and "the purée" after it.
_TURNS_TO = re.compile(r"\b(?:in)?to\s+(?:an?\s+)?(?:\w+\s+)?(pur[ée]e|paste|powder|crumbs|pulp|mash)\b", re.I)
# "Steam until soft, then mash", and "the mash" after it.
_MASHES = re.compile(r"(?:^\W*|\b(?:and|then|,)\s+)mash\b", re.I)
_WHAT_IT_BECAME = re.compile(r"\bthe\s+(?:\w+\s+)?(pur[ée]e|paste|powder|crumbs|pulp|mash)\b", re.I)


_COVERED = re.compile(
    r"\b(?:cover|dip|plunge|drop|blanch|scald|pour)\w*\b[^.;]{0,40}\b(?:with|in|into)\s+(?:just[- ])?(?:boil\w*|hot|cold)\s+water\b",
    re.I,
)
# "Boil the sago in plenty of water": the tap's.
_PLENTY = re.compile(r"\b(?:plenty|lots|loads|a (?:large|big|deep) (?:sauce)?pan|a pot)\s+of\s+(?:\w+\s+){0,2}$", re.I)
_POURED_AWAY = re.compile(r"\b(?:drain|rinse|dry well|pat dry|refresh)\b", re.I)
# "In a pan that just holds the pears."
_THAT_HOLDS = re.compile(
    r"\b(?:that|which|(?:large|big|wide|deep) enough to)\s+(?:will\s+|just\s+|snugly\s+|comfortably\s+)*(?:hold|fit|take|contain)s?\s+(?:all\s+)?(?:the\s+)?$",
    re.I,
)
_TO_SOAK = re.compile(r"\bsoak\w*\b[^.;]{0,30}\bin\s+(?:some\s+)?(?:very\s+)?(?:cold|warm|hot|boiling)\s+water\b", re.I)


class Resolver(Account):
    """Goes through a method from its first step to its last and keeps account of what is left of each line."""

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
            at = by_another_word(self, component) if at is None else at
            if at is not None:
                self.whole_at.setdefault(at, set()).add(component)
        if self.whole_at:
            self.left = [1.0] * len(self.lines)
            found = self._pass()
        bring_in(self, found)
        return found

    def _is_anothers_food(self, component: str, step: Resolved) -> bool:
        """Return whether a step's word for a component is a food of another there: "add cream + egg", where "cream" is a part of its own."""
        own = set(words_of(component))
        return any(
            own & set(words_of(step.clause.text[m.start : m.end]))
            and m.uses
            and all(self.lines[u.position].component != component for u in m.uses)
            for m in step.mentions
        )

    def _pass(self) -> list[Resolved]:
        found: list[Resolved] = []
        current = self.components[0] if self.components else ""
        for n, clause in enumerate(self.clauses):
            current = self._component(n, current)
            found.append(self._resolved(n, clause, current))
            if _MASHES.search(clause.text):
                self.became["mash"] = {use.position for use in found[-1].uses} | found[-1].back
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
            free = {self.lines[k].component for k in said.lines if self.left[k] > USED_UP}
            for component in free:
                best = max(said.lines[k] for k in said.lines if self.lines[k].component == component)
                votes[component] += 1 + 0.1 * best
            if current not in free and any(self.lines[k].component == current for k in said.lines):
                votes[current] += OF_WHAT_IS_IN  # "stir the chocolate into the yolks": what was melted before
        for group in self.groups[n]:
            if group.part and (named := self.parts.named(group.part)) is not None:
                votes[named] += 5
            elif group.kind in ("dry", "wet"):
                votes[staged_component(self, current, group.kind)] += 2
        return votes

    def _resolved(self, n: int, clause: Clause, component: str) -> Resolved:
        found = Resolved(clause, component, refs=self.parts.spoken_of(clause))
        untouched = {k for k, left in enumerate(self.left) if left > 1 - USED_UP}
        until = UNTIL.search(clause.text)
        finishes = bool(_FINISHES.search(clause.text))
        if taken := unsaid(self, n, component):
            start, end = dough.span() if (dough := _DOUGH.search(clause.text)) else (0, 0)
            found.mentions.append(Mention(start, end, self.used(taken, 1.0, is_sure=False), start, tuple(taken), True))
        spans = [(g.start, g.end) for g in self.groups[n]]
        named = self.parts.prefix_end(clause)
        for said in self.said[n]:
            is_aside = (said.end <= named and said.phrase in OF_A_KIND) or _THAT_HOLDS.search(clause.text[: said.start])
            if is_aside or any(a <= said.start < b for a, b in spans):
                continue
            if until and said.start > until.start() and not goes_on(clause.text[until.start() : said.start]):
                spoken = {k for k in said.lines if self.left[k] < 1 - USED_UP and self.lines[k].component == component}
                found.back |= spoken
                found.mentions.append(Mention(said.start, said.end, (), said.start, tuple(spoken or said.lines)))
                continue
            self._take(found, n, said, finishes=finishes)
        for group in self.groups[n]:
            take_group(self, found, n, group)
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
            found.mentions = [Mention(many.start(), many.end(), self.used(own, 1.0), many.start(), tuple(own), True)]
            found.mentions += behind
        for whole in sorted(self.whole_at.get(n, ())):
            own = [
                k
                for k, line in enumerate(self.lines)
                if line.component == whole and self.left[k] > USED_UP and not self._finishes_later(k, n)
            ]
            spot = re.search(rf"\b{re.escape(whole.split()[-1])}\w*", clause.text, re.I) or OF_A_PART.search(
                clause.text
            )
            start, end = spot.span() if spot else (0, 0)
            uses = self.used(own, 1.0)
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

    def _finishes_later(self, k: int, n: int) -> bool:
        """Return whether a line is kept to finish with, and a later step than *n* names it: "spread with filling ... scatter the pearl sugar"."""
        return self.listed.is_to_finish(k) and any(at > n for at in self.named_at[k])

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

    def _sets_aside(self, found: Resolved, n: int, said: Said, chosen: list[int]) -> bool:
        """Keep account of what a step sets aside and takes nowhere yet ("Reserve 3 tbsp of the custard."); return whether it does."""
        is_part = said.part in ("amount", "share", "little") and len(chosen) == 1
        if not is_part or self.left[chosen[0]] <= 1 - USED_UP or not RESERVES.match(self.clauses[n].text):
            return False
        self.reserved[chosen[0]] = share_taken(self, chosen[0], n, said)
        found.mentions.append(Mention(said.start, said.end, (), said.start, tuple(chosen)))
        return True

    def _is_other_water(self, said: Said, component: str, n: int) -> bool:
        """Return whether water is the tap's, and not what another part of the recipe lists and names itself."""
        if said.phrase == ("water",) and (
            self._covers_with_water(n) or _PLENTY.search(self.clauses[n].text[: said.start])
        ):
            return True
        if said.phrase != ("water",) or not all(any(at != n for at in self.named_at[k]) for k in said.lines):
            return False
        # "Soak the gelatine in cold water"; "simmer the fruit, sugar and water" is the list's.
        is_to_soak = _TO_SOAK.search(self.clauses[n].text) is not None
        return all(self.lines[k].component != component or is_to_soak for k in said.lines)

    def _covers_with_water(self, n: int) -> bool:
        """Return whether a step only covers or dips with water that is poured away: "cover the apples with boiling water, then drain"."""
        text = self.clauses[n].text
        return bool(_COVERED.search(text)) and bool(_POURED_AWAY.search(text))

    def _named_elsewhere(self, n: int, said: Said) -> set[int]:
        """Return the lines that another step calls by more words, and no other line so: "the almonds" are not the flaked ones scattered later."""
        words = set(said.phrase)
        return {k for phrase, k, steps in self.called if words < phrase and steps - {n}}

    def _take(self, found: Resolved, n: int, said: Said, *, finishes: bool) -> None:
        if self._is_other_water(said, found.component, n):
            return
        if said.part == "back" and self._is_made_here(n, said, found.component):
            said = replace(said, part="whole")
        pool = pool_of(self, said, found.component)
        # "the nuts, fruit and zest": the zest is not of the fruit.
        nearer = {
            k for other in self.said[n] if other is not said for k, how in other.lines.items() if how > pool.get(k, how)
        }
        nearer |= self._named_elsewhere(n, said)
        pool = {k: how for k, how in pool.items() if k not in nearer} or pool
        if self._takes_none(found, said):
            return
        chosen, is_sure = chosen_of(self, pool, n, said, finishes=finishes)
        if self._sets_aside(found, n, said, chosen) or self._is_there_already(found, said, pool):
            return
        if said.part == "whole" and said.phrase in OF_A_KIND and any(self.left[k] <= USED_UP for k in pool):
            # "the fruit" that is cooked: not the handful that was kept back.
            chosen = [k for k in chosen if self.left[k] > 1 - USED_UP]
        if not chosen and _JUICES.search(self.clauses[n].text) and all(self._is_citrus(k) for k in pool):
            found.mentions.append(Mention(said.start, said.end, (), said.lead, tuple(pool)))
            return  # "meanwhile squeeze the lemons", whose zest is in the cake
        if not chosen:
            # Another part's pinch of salt is no reason to wait for it.
            found.back |= {
                k for k in pool if self.lines[k].component == found.component or not self.listed.has_role(k, "salt")
            }
            found.mentions.append(Mention(said.start, said.end, (), said.lead, tuple(pool)))
            return
        uses: tuple[Use, ...] = ()
        for k in chosen:
            share = share_taken(self, k, n, said)
            uses += self.used([k], share, is_sure=is_sure)
        found.back |= {k for k in chosen if self.left[k] < 1 - USED_UP and all(u.position != k for u in uses)}
        found.mentions.append(
            Mention(said.start, said.end, uses, said.lead, tuple(chosen), is_part=said.part not in ("whole", "back"))
        )

    def _is_citrus(self, k: int) -> bool:
        """Return whether a line is a fruit that gives its zest here and its juice there."""
        food = self.lines[k].ingredient
        return food is not None and food.key.partition("_")[0] in _CITRUS

    def _is_made_here(self, n: int, said: Said, component: str) -> bool:
        """Return whether what a step calls a mixture is the list's own, and no other step takes of it: "then the butter mixture"."""
        own = [k for k in said.lines if self.lines[k].component == component]
        return len(own) == 1 and all(
            self.left[k] > 1 - USED_UP and len(self.listed.twins(k)) > 1 and not any(at < n for at in self.named_at[k])
            for k in own
        )

    def _takes_none(self, found: Resolved, said: Said) -> bool:
        """Note what greases the tin, and what words come back to; return whether a mention is one of these."""
        if said.part == "tin":
            greasing = [k for k in said.lines if self.listed.is_to_grease(k) and self.left[k] > USED_UP]
            found.mentions.append(
                Mention(said.start, said.end, self.used(greasing[:1], 1.0), said.start, tuple(said.lines), greases=True)
            )
            return True
        if said.part != "back":
            return False
        spoken = {k for k in said.lines if self.lines[k].component == found.component} or set(said.lines)
        found.back |= spoken
        found.mentions.append(Mention(said.start, said.end, (), said.start, tuple(spoken)))
        return True

    def _is_there_already(self, found: Resolved, said: Said, pool: dict[int, int]) -> bool:
        """Note a word for all foods of a kind where it means what is in already; return whether it does."""
        if said.phrase not in OF_A_KIND:
            return False
        here = {use.position for use in found.uses} & set(pool)
        if said.part == "whole" and here:
            # "slice most of the strawberries, sandwich with the sliced fruit"
            found.back |= here
            found.mentions.append(Mention(said.start, said.end, (), said.start, tuple(here)))
            return True
        whole = [k for k in pool if not self.listed.is_to_finish(k)]
        if said.part not in ("share", "rest") or not whole or any(self.left[k] > USED_UP for k in whole):
            return False
        # "two thirds of the fruit", that was cooked before: a part of what was made of it.
        found.back |= set(whole)
        found.mentions.append(Mention(said.start, said.end, (), said.lead, tuple(whole)))
        return True
