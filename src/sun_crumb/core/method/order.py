"""What must come before what: bowls that are begun, joined and baked; a graph, and no chain."""

from __future__ import annotations

import re
from collections.abc import Iterable
from dataclasses import dataclass, field
from typing import Literal

from sun_crumb.core.method import order_words as said
from sun_crumb.core.method.account import Resolved
from sun_crumb.core.method.order_words import first_verb, is_baked
from sun_crumb.core.method.records import Wait
from sun_crumb.core.method.sentences import verbs

Role = Literal["heat", "tin", "start", "join", "go_on"]

# So long in the cold a thing is set, and done [min] (judgement).
SET_MIN = 150


@dataclass(slots=True)
class Bowl:
    """Something that is being made: its component, the lines in it, and the step that it was last worked on in."""

    component: str
    lines: set[int] = field(default_factory=set)
    last: int = 0


@dataclass(slots=True)
class Order:
    """Goes through the steps and says what each comes after."""

    bowls: list[Bowl] = field(default_factory=list)
    oven: int | None = None
    tin: int | None = None
    baked: int | None = None
    baked_bowl: Bowl | None = None
    current: Bowl | None = None
    # Where something was last put into moulds or glasses.
    vessels: int | None = None
    # What has been chilled until it is eaten: nothing goes into it any more.
    set_aside: list[Bowl] = field(default_factory=list)

    def after(self, n: int, step: Resolved, wait: Wait | None, *, has_oven: bool) -> tuple[int, ...]:
        """Return the steps, from 1, that step *n* comes right after.

        *has_oven* when it sets an oven's heat.
        """
        text = step.clause.text
        role = self._role(text, step, wait, has_oven=has_oven)
        if role == "go_on" and not step.back and wait is None and said.ANNOUNCES.match(text):
            return ()
        if role == "heat":
            before = {self.baked} if self.baked is not None else set()
            self.oven = n
            if re.search(r"\b(?:line|grease|butter|cases)\b", text, re.I):
                self.tin = n
            return tuple(sorted(before))
        if role == "tin":
            self.tin = n
            return ()
        taken = self._bowls_of(step, text, wait, role)
        after = {bowl.last for bowl in taken if bowl.last}
        is_bake = is_baked(text, wait)
        if is_bake:
            after |= {k for k in (self.oven, self.tin) if k is not None and k != n}
            self.baked = n
            if has_oven:
                self.oven = n
        elif said.TIN.search(text) and self.tin is not None and role != "start" and self.baked is None:
            after.add(self.tin)
        after |= self._leant_on(text, role, is_own=_is_over_its_own(step))
        after |= self._into_vessels(n, text)
        self._poured(n, step, taken)
        if wait is not None and wait.kind in ("chill", "freeze") and wait.low_min >= SET_MIN and self.current:
            self.set_aside.append(self.current)
        if is_bake:
            self.baked_bowl = self.current
        return tuple(sorted(after - {n}))

    def _into_vessels(self, n: int, text: str) -> set[int]:
        """Return the step that moulds or glasses were last filled in, where one goes on with it: "Strain into the moulds", that the caramel is in."""
        if not said.INTO_VESSELS.search(text):
            return set()
        before, self.vessels = self.vessels, n
        return set() if before is None else {before}

    def _leant_on(self, text: str, role: Role, *, is_own: bool) -> set[int]:
        """Return the steps that a step's words count on, whatever it works on: the baked cake, the risen dough, all that is there.

        *is_own* where it is laid on what it takes itself.
        """
        after: set[int] = set()
        if said.COUNT_ON_BAKE.search(text) and self.baked_bowl is not None:
            after.add(self.baked_bowl.last)
        if role == "go_on" and (said.OVER_IT.search(text) or said.ONTO_BASE.search(text)):
            # "Cool, then spoon over": over what the rest has become.
            after |= {max((b.last for b in self.bowls if b is not self.current), default=0)} - {0}
        if said.COVERS_ALL.match(text) or (role == "go_on" and said.IN_EACH.match(text)):
            after |= {max((b.last for b in self.bowls), default=0)} - {0}
        if role == "start" and said.SPREAD_ON_BASE.search(text):
            after |= {max((b.last for b in self.bowls), default=0)} - {0}  # "beat the middle, spread on the base"
        first = first_verb(text)
        is_laid_on = bool(said.ENDS_OVER.search(text) or said.LAID_ON.match(text) or said.SHARED_OUT.match(text)) or (
            first is not None and first[0] in said.GOES_ON
        )
        if (role == "start" and is_laid_on and not is_own) or said.SERVES.match(text):
            after |= {max((b.last for b in self.bowls), default=0)} - {0}
        return after

    def _role(self, text: str, step: Resolved, wait: Wait | None, *, has_oven: bool) -> Role:
        if not step.uses and not step.back and wait is None:
            if (has_oven or said.HEATS.search(text)) and not said.BAKES_FIRST.match(text):
                return "heat"
            if (
                said.TIN_ONLY.search(text)
                and not step.refs
                and not said.LINED_WITH_DOUGH.match(f"{step.component}: {text}")
            ):
                return "tin"
        if not step.uses:
            return "go_on"
        return "start" if self._starts(text, step) else "join"

    def _starts(self, text: str, step: Resolved) -> bool:
        """Return whether a step begins something of its own: in another bowl, or by its verb, and with nothing that is in already."""
        if not any(b.component == step.component for b in self.bowls):
            return True
        if step.joins_all:
            return False
        if said.APART.search(text) and not (step.back and re.search(r"\b(?:into|to) the\b", text, re.I)):
            return True
        first = first_verb(text)
        if said.MORE_FOR_IT.search(text) or said.WHEN_IT_IS.match(text) or said.BRINGS_TOGETHER.match(text):
            return False
        if first is not None and verbs()[first[0]]["does"] == "start" and said.POURED_ON.search(text):
            return True
        if (said.TOGETHER.match(text) or said.OF_PASTRY.match(text)) and not step.back:
            return True
        if said.ENDS_TOGETHER.search(text) and not step.back and len(step.uses) > 1:
            return True  # "Stir the oats, flour and soda together", beside the dates that cool
        if first is None or verbs()[first[0]]["does"] != "start" or step.back:
            return False
        # "beat in the eggs", "whisk into the yolks": more for the bowl that is there.
        return not said.IN_IT.match(text[first[1] :]) and not re.search(r"\b(?:mixture|batter|dough)\b", text, re.I)

    def _bowls_of(self, step: Resolved, text: str, wait: Wait | None, role: Role) -> list[Bowl]:
        """Return the bowls that a step works on, a new one where it begins one."""
        spoken = [b for b in self.bowls if b.lines & step.back]
        own = [b for b in self.bowls if b.component == step.component]
        if role == "start":
            return self._begun(step, text, spoken, own)
        taken = list(spoken)
        _extend(
            taken, (b for b in self.bowls if b.component and b.component in step.refs and b.component != step.component)
        )
        if role == "go_on" and (said.ADDING_A_PART.match(text) or said.ROLLED_ROUND.match(text)):
            _extend(taken, own[-1:])
        if step.component in step.refs and step.component and not step.uses:
            _extend(taken, own[-1:])
        is_whole = step.joins_all or (
            not step.uses and (is_baked(text, wait) or bool(said.TAKES_ALL.search(text) and said.INTO.search(text)))
        )
        if (is_whole and (step.joins_all or self.baked is None)) or _takes_all_open(text, role):
            _extend(taken, own)
        if said.HALF_OF_IT.search(text) or (role == "go_on" and said.IN_WITH_IT.match(text)):
            _extend(taken, own)
        if role == "go_on" and (said.INTO_THE_MIX.search(text) or said.FOLDS_IN.match(text)):
            _extend(taken, own[-2:])
        goes_in = (
            role == "go_on"
            and bool(spoken or taken)
            and wait is None
            and bool(said.GOES_IN.search(text) or said.SPREADS.match(text))
        )
        is_first_whole = is_whole and self.baked is None and not said.ROASTS.match(text)
        if is_first_whole and self.bowls and all(b.component != self._main() for b in taken):
            # "Fill the cups, top with the streusel": the main batter goes in too.
            _extend(taken, [b for b in self.bowls if b.component == self._main() and b not in self.set_aside])
        self._lay_over(step, text, role, taken, spoken, is_whole=is_whole)
        is_into_it = role == "join" and self.current in spoken and bool(said.INTO_WHAT_IS_THERE.search(text))
        if (role == "join" and not is_into_it) or goes_in or not taken:
            _extend(taken, self._at_hand(taken, own))
        return taken or [self._new(step)]

    def _lay_over(
        self, step: Resolved, text: str, role: Role, taken: list[Bowl], spoken: list[Bowl], *, is_whole: bool
    ) -> None:
        """Add to *taken* what was just made, where a step lays it over, or pours it into, something else."""
        own = [b for b in self.bowls if b.component == step.component]
        # "Spread over the cold cake": with what was just made.
        first = first_verb(text)
        is_over = (
            role == "go_on"
            and bool(taken)
            and not spoken
            and (
                bool(said.ENDS_OVER.search(text))
                or (first is not None and first[0] in said.GOES_ON)
                # "Pour into the crust": what was just made goes into it.
                or (is_whole and not step.uses and bool(said.FILLS.match(text)))
            )
        )
        if is_over and all(b.component != step.component for b in taken):
            _extend(taken, own[-1:])
        elif is_over and self.current is not None and said.FILLS.match(text):
            # "Pour into the pastry case": what was just made, whatever part names the case.
            _extend(taken, [self.current])
        elif role == "go_on" and self.current is not None and said.FILLS_A_CASE.match(text):
            _extend(taken, [self.current])
        if role == "go_on" and taken and said.FILLS_IT.search(text):
            _extend(taken, [b for b in self.bowls if b not in self.set_aside and b.last])
        if role == "join" and said.SPREADS_WHAT_IS_MADE.match(text):
            # "Spread over the cake and scatter with the rest of the nuts": with what was just made.
            _extend(taken, [self.current] if self.current is not None else [])

    def _begun(self, step: Resolved, text: str, spoken: list[Bowl], own: list[Bowl]) -> list[Bowl]:
        """Return a new bowl, and what goes into it of what was there."""
        # What another component is begun with may have been warmed or soaked before; "whip the whites and fold them in".
        more = self._at_hand(spoken, own) if said.FOLDED.search(re.sub(r"\([^()]*\)", "", text)) else []
        is_shaped = said.SHAPES.match(text) or said.IN_PIECES.match(text)
        begun = [self._new(step), *spoken]
        _extend(begun, more)
        _extend(begun, [self.current] if is_shaped and self.current is not None else [])
        if said.BY_SPOONFULS.search(text):
            _extend(begun, own)
        if said.OF_THE_BATTER.search(text):
            _extend(begun, (b for b in self.bowls if b.component == self._main() and b not in self.set_aside))
        if said.POURED_IN.search(text):
            # "Beat the filling and pour into the pastry case."
            _extend(begun, (b for b in self.bowls if b.component in step.refs and b.component != step.component))
        return begun

    def _main(self) -> str:
        """Return the component of the main batter: the one without a name, the cake's, else what was begun first."""
        if any(not b.component for b in self.bowls):
            return ""
        named = [b.component for b in self.bowls if said.MAIN_PART.search(b.component)]
        return next(
            iter([*named, *(b.component for b in self.bowls if not said.GOES_WITH.search(b.component))]),
            self.bowls[0].component,
        )

    def _at_hand(self, taken: list[Bowl], own: list[Bowl]) -> list[Bowl]:
        """Return the bowl that more goes into: the one last worked on, or the one before where that is what goes in."""
        if self.current is not None and self.current not in taken and (self.current in own or not own):
            return [self.current]
        return [b for b in sorted(own, key=lambda b: -b.last) if b not in taken][:1]

    def _new(self, step: Resolved) -> Bowl:
        bowl = Bowl(step.component)
        self.bowls.append(bowl)
        return bowl

    def _poured(self, n: int, step: Resolved, taken: list[Bowl]) -> None:
        """Make one bowl of all that a step works on."""
        own = [b for b in taken if b.component == step.component]
        whole = max(own or taken, key=lambda b: len(b.lines))
        for bowl in taken:
            if bowl is not whole:
                whole.lines |= bowl.lines
                self.bowls.remove(bowl)
        whole.lines |= {use.position for use in step.uses}
        whole.last = n
        self.current = whole


def _is_over_its_own(step: Resolved) -> bool:
    """Return whether a step pours one of its foods over another: "pour hot milk over the walnuts"."""
    over = re.search(r"\bover\b", step.clause.text, re.I)
    if over is None or said.LAID_ON.match(step.clause.text):
        return False
    # "spoon over and add the thyme": the thyme is what is done next.
    next_deed = re.search(r"\band\b|[,;.]", step.clause.text[over.end() :])
    end = over.end() + next_deed.start() if next_deed else len(step.clause.text)
    return any(m.uses and over.start() < m.start < end for m in step.mentions)


def _takes_all_open(text: str, role: Role) -> bool:
    """Return whether a step goes on with all bowls of its component: "combine", "drop spoonfuls", "pour in the melted mix"."""
    if said.BY_SPOONFULS.search(text) or (role == "go_on" and said.COMBINES.match(text)):
        return True
    return role == "join" and bool(said.BACK_TO_A_MIX.search(text) or said.FOLDS_TOGETHER.match(text))


def _extend(taken: list[Bowl], more: Iterable[Bowl]) -> None:
    taken.extend(b for b in list(more) if b not in taken)
