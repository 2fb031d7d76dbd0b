"""What must come before what: bowls that are begun, joined and baked; a graph, and no chain."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence, Set
from dataclasses import dataclass, field
from typing import Literal

from sun_crumb.core.method.account import Resolved
from sun_crumb.core.method.records import Wait
from sun_crumb.core.method.sentences import verb_of, verbs

Role = Literal["heat", "tin", "start", "join", "go_on"]

_APART = re.compile(
    r"\b(?:in (?:another|a second|a separate|a different|a clean|a small|a large|a medium|a big|a mixing|one|a)(?: \w+)? (?:bowl|jug|pan|saucepan|pot)|into a (?:\w+ )?(?:saucepan|pan)\b|separately|meanwhile|in the meantime|while (?:it|the|that|they|you)\b)",
    re.I,
)
_TIN_ONLY = re.compile(
    r"^\W*(?:and\s+)?(?:line|grease|butter|oil|flour|dust|prepare|put\s+\d+\s+(?:\w+\s+)?cases|place\s+\d+\s+(?:\w+\s+)?(?:cases|liners))\b(?:[^.]|\.(?=\d))*\b(?:tins?|pans?|dish(?:es)?|trays?|moulds?|molds?|sheets?|basin|ramekins?|paper|cases|parchment|liners|springform|bundt)\b(?!.*\b(?:beans|weights|rice|of pastry|of dough)\b)",
    re.I,
)
_HEATS = re.compile(
    r"\b(?:pre-?heat|heat|turn|set|reduce|lower|increase|raise|switch)\w*\b(?!-off|ed[- ]off)[^.;]{0,40}\boven\b|^\W*(?:reduce|lower|increase|raise)\s+(?:the\s+)?(?:temperature|heat)\s+to\s+\d{3}|^\W*oven\b|^\W*\d{3}\s*(?:°|º)?\s*[CF]?\s*oven|\boven (?:to|at|on)\b|^\W*(?:pre-?heat)\b",
    re.I,
)
_INTO = re.compile(
    r"\b(?:into|in(?:to)? the|onto|over|on top|with|through|to the|between|on|the cups|the cases|the tins?)\b", re.I
)
_COUNT_ON_BAKE = re.compile(
    r"\b(?:pipe|spoon|fill|inject)\w*\b[^.;]{0,16}\binto\s+(?:the\s+|each\s+)?(?:éclairs?|eclairs?|profiteroles?|choux|buns?|doughnuts?|cannoli|horns|tubes|shells|tartlets)\b|\b(?:hot|warm|cooled|cold|baked|cool)\s+(?:\w+\s+)?(?:cakes?|tart|buns?|pudding|loaf|loaves|biscuits?|cookies|cupcakes|muffins|pie|base|sponges?|brownies?|shortbread|rolls?)\b|\b(?:sandwich|fill|top|ice|frost|glaze|dust|split)\w*\b[^.;]{0,24}\b(?:cakes?|sponges?|buns?|biscuits?|cookies|cupcakes|muffins|loaf|loaves)\b|\b(?:pierce|prick|poke)\w*\b[^.;]{0,20}\b(?:cakes?|sponges?|loaf|loaves)\b|,\s*(?:and\s+)?sandwich\W*$|\bover\s+(?:the\s+)?(?:hot|warm|cooled|cold|baked)\b(?!\s+(?:milk|cream|water|syrup|juice|chocolate|custard))|\b(?:unmould|turn out|invert|slice)\b[^.;]{0,12}\b(?:cakes?|puddings?|loaf|loaves|sponges?)\b|(?:^\W*|[.;]\s+)(?:layer|sandwich|assemble|stack)\b(?!\s+(?:the\s+)?(?:biscuits|sponge fingers|ladyfingers))|\b(?:once|when)\s+(?:it is |they are |completely |quite |fully |wholly )*(?:cool(?:ed)?|cold|baked)\b|\bdip\w*\s+(?:the\s+)?(?:\w+\s+)?(?:squares|cakes?|biscuits?|cookies|ends|tops|buns)\b|\bjust before (?:eating|serving)\b|\bwhile (?:still )?(?:hot|warm)\b",
    re.I,
)
_TIN = re.compile(r"\b(?:tins?|pan|dish|tray|moulds?|cases|basin|cups)\b", re.I)
_ENDS_OVER = re.compile(
    r"\b(?:spoon|pour|drizzle|spread|brush|pile|scatter|sprinkle|dollop|dot|fan|arrange|lay|grate)\w*\b[^.]{0,25}\b(?:over|on top)\b|\band\s+(?:drizzle|spread|pipe|swirl)\W*$|[,;]\s*(?:then\s+|and\s+)?(?:pour|spoon)\s+(?:it\s+)?in\W*$|\b(?:spread|pour|spoon|melt|smooth|scatter|sprinkle)\w*\b[^.]{0,25}\bon\W*$",
    re.I,
)
_IN_IT = re.compile(
    r"\s*(?:well\s+|gently\s+|quickly\s+)?(?:in\b(?!\s+(?:a|an|another|the)\s+(?:\w+\s+){0,2}(?:bowl|pan|saucepan|pot|jug|blender|processor|mixer|tin|dish|microwave|oven|heatproof))|to (?:a|the)\b|until\b|into\b|through\b|over\b|with\b)",
    re.I,
)
_GOES_IN = re.compile(
    r"\b(?:into|to|over|onto|through)\s+the\b|\b(?:pour|tip|strain|whisk|stir|beat)\s+(?:on|in|over)\s+(?:the|all)\b|\b(?:it|them|this|these)\s+(?:in|through)\b|\b(?:stir|fold|mix|beat|whisk|swirl)\s+in\b|\b(?:ripple|swirl|marble|fold|stir)\b[^.;]{0,30}\bthrough\b",
    re.I,
)
# "Mash and stir in the vanilla", "sift the sugar over and fold in": more for what is there.
_MORE_FOR_IT = re.compile(
    r"^\W*[a-z]+\s+(?:and|then)\s+(?:(?:stir|fold|mix|beat|whisk)\s+in|add)\b|\bsift\w*\b[^.;]*?(?:\bover\b|\bfold\w*\s+(?:it\s+|them\s+)?in\b|\binto\s+(?:the|this|it)\b|\band\s+add\b)",
    re.I,
)
# "Whisk the yolks with the sugar, pour on the hot milk": a bowl of its own, and what was heated goes into it.
_POURED_ON = re.compile(
    r"[,;]\s*(?:then\s+)?(?:(?:slowly|gradually|whisk)\s+)?(?:pour|add|strain)\w*\s+(?:(?:on|in|over)\s+)?the\s+(?:hot|warm|boiling|infused|scalded|steaming)\b",
    re.I,
)
_INTO_VESSELS = re.compile(
    r"\binto\s+(?:the|each|your|\d+|two|four|six|eight)\s+(?:[a-z]+\s+)?(?:moulds?|molds?|ramekins?|glass(?:es)?|pots|jars)\b",
    re.I,
)
_SPREADS_WHAT_IS_MADE = re.compile(
    r"\W*(?:then\s+)?(?:spread|spoon|pour|pile|swirl|smooth|drizzle)\s+(?:it\s+)?(?:over|on|onto|on top of)\s+the\b",
    re.I,
)
_FOLDED = re.compile(
    r"\b(?:fold|stir|beat|mix|whisk|add)\b[^.;]{0,14}\b(?:it|them|this|these)\s+(?:in|into|through)\b"
    r"|(?:\band|\bthen|,)\s+(?:fold|stir|beat|mix|whisk)\s+(?:in|through)(?:\W*$|\s+(?:by turns|in turns?|alternately|in (?:\w+ )?batches)\b)"
    r"|\band\s+(?:pour|tip|add|scrape|stir|beat|whisk|fold)\s+(?:it\s+|them\s+|this\s+)?(?:in)?to\s+the\s+(?:pan|saucepan|bowl|mix\w*|batter|dry|flour|rest)\b",
    re.I,
)
# "While it bakes, make the custard.": says what comes, and is nothing to wait for.
_ANNOUNCES = re.compile(
    r"^\W*(?:(?:meanwhile|in the meantime|now|next|first|then|while [^,]{3,40}),?\s+)?(?:make|prepare)\s+(?:the|your)\s+[\w' -]{2,30}\W*$",
    re.I,
)
_GOES_ON = frozenset(
    {"cover", "brush", "sprinkle", "scatter", "top", "dust", "spread", "drizzle", "swirl", "arrange", "layer", "pipe"}
)
# "combine, don't overmix": all bowls that are open.
_COMBINES = re.compile(
    r"\W*(?:combine|mix together|bring together|join)\b\W*(?:$|[.,;]|(?<=-\s)|(?<=–\s)|gently\b|until\b|just\b)", re.I
)
_POURED_IN = re.compile(
    r"\b(?:pour|spoon|tip|spread|scrape|pile|put|fill)\b[^.;]{0,30}\b(?:into|in|over|onto|on)\s+(?:the|your|each)\b",
    re.I,
)
# "bake each 5 minutes at 180 C" tells an oven's heat, and bakes.
_BAKES_FIRST = re.compile(r"\W*(?:then\s+)?bake\b(?!\s*[:=])", re.I)
# "Fill.", "Poke holes, pour the soak", "soak in the syrup", "toss in the crumbs": with what is there.
_LAID_ON = re.compile(
    r"\W*(?:fill|poke|prick|sandwich|split|dip|(?:soak|toss|roll|drench)\s+in|(?:cut|scoop|hollow|make|press)\b[^.;]{0,30}\bin\s+each)\b",
    re.I,
)
# "Serve warm, dusted with cinnamon": with all that is done.
# "Stir into the creamed mixture": what was just mixed goes into what was mixed before.
_INTO_THE_MIX = re.compile(
    r"\b(?:in)?to\s+(?:the|your)\s+batter\b|\b(?:in)?to\s+(?:(?:the|your)\s+)?(?:creamed|butter|egg|banana|sugar|wet|other|first|yolk|cheese)(?:\s+(?:and\s+)?\w+)?\s+(?:mixture|mix|bowl|batter)\b",
    re.I,
)
# "Pour in the melted mix and the egg": what was warmed apart.
_BACK_TO_A_MIX = re.compile(
    r"\bthe\s+(?:melted|warm(?:ed)?|hot|cooled|beaten|whisked|wet|liquid)\s+(?:[a-z]+\s+){0,2}?(?:mix|mixture|stuff|things|ingredients)\b",
    re.I,
)
_ONTO_BASE = re.compile(
    r"\b(?:pour|spoon|spread|tip|scrape|pile|smooth)\w*\b[^.;]{0,24}\b(?:on|onto|over|into|in|on top of)\s+(?:(?:the|your)\s+)?(?:\w+\s+)?(?:base|crust|case|shell)\b"
    r"|^\W*(?:top|layer|finish)\s+with\b",
    re.I,
)
_SPREAD_ON_BASE = re.compile(
    r"(?:[,;.]|\band|\bthen)\s+(?:then\s+)?(?:spread|pour|spoon|pile|tip|smooth|scrape)\s+(?:it\s+)?(?:on|onto|over|on top of)\s+(?:(?:the|your)\s+)?(?:\w+\s+)?(?:base|crust)\b",
    re.I,
)
_OVER_IT = re.compile(r"\b(?:spoon|pour|drizzle|spread|pile|scatter)\s+over\W*$|^\W*(?:fill|dip)\b", re.I)
_FILLS = re.compile(r"\W*(?:then\s+)?(?:pour|spoon|scrape|tip|ladle|pipe|transfer|turn|fill)\w*\b", re.I)
# "Line the dish with the pastry, fill, lid with the rest": with what is ready.
_FILLS_IT = re.compile(r"[,;]\s*(?:then\s+)?fill\b(?=\s*(?:[,.;]|and\b|$))", re.I)
_FILLS_A_CASE = re.compile(
    r"\W*(?:then\s+)?fill\s+(?:the|each|your|all)\b[^.;]{0,30}\b(?:cases?|shells?|crusts?|tins?|moulds|cups|holes)\b",
    re.I,
)
# "Spread warm over one pastry sheet": what was just made.
_SPREADS = re.compile(r"\W*(?:spread|spoon|pour|pipe|tip)\s+(?:[a-z]+\s+)?(?:over|on|onto)\b", re.I)
# "Roast for 15 minutes": the fruit alone.
_ROASTS = re.compile(r"\W*(?:then\s+|and\s+)?roast\b", re.I)
_SERVES = re.compile(r"\W*(?:to\s+)?serve\b", re.I)
# "Roll to 30 x 40 cm": what was kneaded and has risen.
_SHAPES = re.compile(
    r"\W*roll\s+out\b(?!\s+the\s+(?:\w+\s+)?(?:pastry|marzipan|fondant|paste|icing)\b)|\W*(?:knock back|roll|pat|press|flatten|stretch)\b(?:\s+it)?(?:\s+out)?\s+(?:in)?to\s+(?:an?\s+)?(?:\w+\s+)?(?:\d|rectangle|square|oblong|circle)"
    r"|\W*(?:knock back|roll|pat|press|flatten|stretch)\b(?:\s+(?:it|the \w+))?(?:\s+out)?\s+(?:onto|on|in|into|over)\b",
    re.I,
)
# "Shape in balls, roll in the sugar": of the dough that is there.
_IN_PIECES = re.compile(
    r"\W*(?:shape|form|roll|scoop|divide|cut|break off|pinch off|make)\b[^.;]{0,30}\b(?:balls?|rounds?|logs?|pieces|circles|sausages|buns|lumps)\b",
    re.I,
)
# "Fry spoonfuls 2 minutes", "drop spoonfuls over the peaches": of the batter that is there.
_BY_SPOONFULS = re.compile(
    r"\b(?:drop|fry|cook|dollop|bake|put|place)\w*\b[^.;]{0,24}\b(?:spoonfuls|dollops|ladlefuls|scoopfuls|heaps|mounds)\b",
    re.I,
)
# "Spread two thirds of the batter in the tin, spoon over the custard": the main mixture goes in too.
_OF_THE_BATTER = re.compile(
    r"\b(?:spread|spoon|pour|put|scrape|tip|press|dollop)\b[^.;,]{0,30}\bthe\s+(?:(?:cake|muffin|sponge|main)\s+)?(?:batter|dough|(?:cake|sponge)\s+mix(?:ture)?)\b",
    re.I,
)
_MAIN_PART = re.compile(r"\b(?:cakes?|sponges?|batter|dough|muffins?|cupcakes?|loaf|buns?|brownies?)$", re.I)
_BRINGS_TOGETHER = re.compile(r"\W*bring\s+(?:it\s+|the \w+\s+)?together\b", re.I)
# "When nearly boiling, rain in the semolina."
_WHEN_IT_IS = re.compile(
    r"\W*(?:when|once|as soon as)\s+(?:it|they|this|the|nearly|almost|hot|cool|cold|thick|smooth|boiling|melted)\b[^,;.]*,",
    re.I,
)
# "Stir together flour, soda and spices": apart, whatever stands ready.
_TOGETHER = re.compile(r"\W*(?:then\s+)?(?:stir|mix|sift|whisk)\s+together\b(?!\s+(?:with|until|in)\b)", re.I)
# "Spread over half the cream, repeat the layers": of what was made before.
_HALF_OF_IT = re.compile(
    r"\b(?:spread|spoon|pour|pipe)\b[^.;]{0,14}\bhalf\s+(?:of\s+)?the\s+(?:\w+\s+)?(?:cream|mixture|mix|filling|custard|mousse)\b",
    re.I,
)
# "Dissolve the soda in the water and stir into the butter": into that and nothing else.
_INTO_WHAT_IS_THERE = re.compile(
    r"\band\s+(?:stir|whisk|beat|fold|mix|pour|tip)\s+(?:it\s+|them\s+)?(?:in)?to\s+the\b", re.I
)
# "Fold in, in three goes."
_FOLDS_IN = re.compile(r"\W*(?:then\s+|gently\s+)?(?:fold|stir)\s+(?:it\s+|them\s+)?in\b\W*(?:$|[,.;(])", re.I)
_NOUN_AFTER = re.compile(r"\b(?:the|a|an|off|from|your|of|low|medium|high|gentle|moderate|into|well)\s+$", re.I)
_TAKES_ALL = re.compile(
    r"\b(?:spoon|pour|scrape|tip|spread|divide|transfer|turn|put|press|fill|assemble|pile|layer|cover|lay)\w*\b", re.I
)


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
        if role == "go_on" and not step.back and wait is None and _ANNOUNCES.match(text):
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
        is_bake = _is_baked(text, wait)
        if is_bake:
            after |= {k for k in (self.oven, self.tin) if k is not None and k != n}
            self.baked = n
            if has_oven:
                self.oven = n
        elif _TIN.search(text) and self.tin is not None and role != "start" and self.baked is None:
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
        if not _INTO_VESSELS.search(text):
            return set()
        before, self.vessels = self.vessels, n
        return set() if before is None else {before}

    def _leant_on(self, text: str, role: Role, *, is_own: bool) -> set[int]:
        """Return the steps that a step's words count on, whatever it works on: the baked cake, the risen dough, all that is there.

        *is_own* where it is laid on what it takes itself.
        """
        after: set[int] = set()
        if _COUNT_ON_BAKE.search(text) and self.baked_bowl is not None:
            after.add(self.baked_bowl.last)
        if role == "go_on" and (_OVER_IT.search(text) or _ONTO_BASE.search(text)):
            # "Cool, then spoon over": over what the rest has become.
            after |= {max((b.last for b in self.bowls if b is not self.current), default=0)} - {0}
        if role == "start" and _SPREAD_ON_BASE.search(text):
            after |= {max((b.last for b in self.bowls), default=0)} - {0}  # "beat the middle, spread on the base"
        first = first_verb(text)
        is_laid_on = bool(_ENDS_OVER.search(text) or _LAID_ON.match(text)) or (
            first is not None and first[0] in _GOES_ON
        )
        if (role == "start" and is_laid_on and not is_own) or _SERVES.match(text):
            after |= {max((b.last for b in self.bowls), default=0)} - {0}
        return after

    def _role(self, text: str, step: Resolved, wait: Wait | None, *, has_oven: bool) -> Role:
        if not step.uses and not step.back and wait is None:
            if (has_oven or _HEATS.search(text)) and not _BAKES_FIRST.match(text):
                return "heat"
            if _TIN_ONLY.search(text) and not step.refs and not _LINED_WITH_DOUGH.match(f"{step.component}: {text}"):
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
        if _APART.search(text) and not (step.back and re.search(r"\b(?:into|to) the\b", text, re.I)):
            return True
        first = first_verb(text)
        if _MORE_FOR_IT.search(text) or _WHEN_IT_IS.match(text) or _BRINGS_TOGETHER.match(text):
            return False
        if first is not None and verbs()[first[0]]["does"] == "start" and _POURED_ON.search(text):
            return True
        if _TOGETHER.match(text) and not step.back:
            return True
        if first is None or verbs()[first[0]]["does"] != "start" or step.back:
            return False
        # "beat in the eggs", "whisk into the yolks": more for the bowl that is there.
        return not _IN_IT.match(text[first[1] :]) and not re.search(r"\b(?:mixture|batter|dough)\b", text, re.I)

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
        if step.component in step.refs and step.component and not step.uses:
            _extend(taken, own[-1:])
        is_whole = step.joins_all or (
            not step.uses and (_is_baked(text, wait) or bool(_TAKES_ALL.search(text) and _INTO.search(text)))
        )
        if (is_whole and (step.joins_all or self.baked is None)) or _takes_all_open(text, role):
            _extend(taken, own)
        if _HALF_OF_IT.search(text):
            _extend(taken, own)
        if role == "go_on" and (_INTO_THE_MIX.search(text) or _FOLDS_IN.match(text)):
            _extend(taken, own[-2:])
        goes_in = (
            role == "go_on"
            and bool(spoken or taken)
            and wait is None
            and bool(_GOES_IN.search(text) or _SPREADS.match(text))
        )
        is_first_whole = is_whole and self.baked is None and not _ROASTS.match(text)
        if is_first_whole and self.bowls and all(b.component != self._main() for b in taken):
            # "Fill the cups, top with the streusel": the main batter goes in too.
            _extend(taken, [b for b in self.bowls if b.component == self._main() and b not in self.set_aside])
        self._lay_over(step, text, role, taken, spoken, is_whole=is_whole)
        is_into_it = role == "join" and self.current in spoken and bool(_INTO_WHAT_IS_THERE.search(text))
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
                bool(_ENDS_OVER.search(text))
                or (first is not None and first[0] in _GOES_ON)
                # "Pour into the crust": what was just made goes into it.
                or (is_whole and not step.uses and bool(_FILLS.match(text)))
            )
        )
        if is_over and all(b.component != step.component for b in taken):
            _extend(taken, own[-1:])
        elif is_over and self.current is not None and _FILLS.match(text):
            # "Pour into the pastry case": what was just made, whatever part names the case.
            _extend(taken, [self.current])
        elif role == "go_on" and self.current is not None and _FILLS_A_CASE.match(text):
            _extend(taken, [self.current])
        if role == "go_on" and taken and _FILLS_IT.search(text):
            _extend(taken, [b for b in self.bowls if b not in self.set_aside and b.last])
        if role == "join" and _SPREADS_WHAT_IS_MADE.match(text):
            # "Spread over the cake and scatter with the rest of the nuts": with what was just made.
            _extend(taken, [self.current] if self.current is not None else [])

    def _begun(self, step: Resolved, text: str, spoken: list[Bowl], own: list[Bowl]) -> list[Bowl]:
        """Return a new bowl, and what goes into it of what was there."""
        # What another component is begun with may have been warmed or soaked before; "whip the whites and fold them in".
        more = self._at_hand(spoken, own) if _FOLDED.search(re.sub(r"\([^()]*\)", "", text)) else []
        is_shaped = _SHAPES.match(text) or _IN_PIECES.match(text)
        begun = [self._new(step), *spoken]
        _extend(begun, more)
        _extend(begun, [self.current] if is_shaped and self.current is not None else [])
        if _BY_SPOONFULS.search(text):
            _extend(begun, own)
        if _OF_THE_BATTER.search(text):
            _extend(begun, (b for b in self.bowls if b.component == self._main() and b not in self.set_aside))
        if _POURED_IN.search(text):
            # "Beat the filling and pour into the pastry case."
            _extend(begun, (b for b in self.bowls if b.component in step.refs and b.component != step.component))
        return begun

    def _main(self) -> str:
        """Return the component of the main batter: the one without a name, the cake's, else what was begun first."""
        if any(not b.component for b in self.bowls):
            return ""
        return next((b.component for b in self.bowls if _MAIN_PART.search(b.component)), self.bowls[0].component)

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


def without_loose_ends(
    after: Sequence[tuple[int, ...]], steps: Sequence[Resolved], waits: Sequence[Wait | None]
) -> list[tuple[int, ...]]:
    """Return what each step comes after, with nothing left behind that nobody goes on with.

    What is ready before a bake goes into it; what is baked, or made besides, into the next step that lays something on, cools or
    serves, else into the last.

    Parameters
    ----------
    after
        For each step, from 1, the steps that it comes right after.
    steps, waits
        The steps and what they wait for.
    """
    found = [set(before) for before in after]
    last = len(found)
    for k in range(1, last):
        if any(k in before for before in found):
            continue
        text = steps[k - 1].clause.text
        goal = _goes_on_in(k, text, steps, waits, found)
        if goal is not None:
            found[goal - 1].add(k)
    return [tuple(sorted(before)) for before in found]


def _goes_on_in(
    k: int, text: str, steps: Sequence[Resolved], waits: Sequence[Wait | None], after: Sequence[Set[int]]
) -> int | None:
    """Return the step, from 1, that goes on with what step *k* leaves: None where that is not known."""
    last = len(steps)
    is_tool = not steps[k - 1].uses and not steps[k - 1].back and bool(_HEATS.search(text) or _TIN_ONLY.search(text))
    is_baked = _is_baked(text, waits[k - 1])
    for n in range(k + 1, last + 1):
        if (
            not is_tool
            and not is_baked
            and after[n - 1]
            and steps[n - 1].component == steps[k - 1].component
            and _PUT_IN.match(steps[n - 1].clause.text)
        ):
            return n
        if _is_baked(steps[n - 1].clause.text, waits[n - 1]):
            return n
        if not is_tool and is_baked and _LAYS_ON.search(steps[n - 1].clause.text):
            return n
    return None if is_tool else last


# "Pour in the melted mix and the egg": the next that takes in what is there, and has begun before.
_PUT_IN = re.compile(
    r"\W*(?:then\s+|now\s+|finally\s+)?(?:pour|tip|stir|fold|add|mix|beat)\s+(?:in\b|the\b|them\b|it\b|this\b|everything\b)",
    re.I,
)
_LAYS_ON = re.compile(
    r"\b(?:pour|spoon|spread|drizzle|brush|top|fill|frost|ice|dust|decorate|serve|cut|cool|unmould|turn out|sprinkle|pipe|sandwich|prick|glaze)\w*\b",
    re.I,
)


# "Line a 23 cm tin", in the part that makes the pastry.
_LINED_WITH_DOUGH = re.compile(
    r"[^:]*\b(?:pastry|dough|crust|shell|case)\b[^:]*:\s*(?:and\s+)?line\b(?!.*\b(?:paper|parchment|liners?|foil|cling|grease|butter)\b)",
    re.I,
)


def _is_over_its_own(step: Resolved) -> bool:
    """Return whether a step pours one of its foods over another: "pour hot milk over the walnuts"."""
    over = re.search(r"\bover\b", step.clause.text, re.I)
    if over is None:
        return False
    # "spoon over and add the thyme": the thyme is what is done next.
    next_deed = re.search(r"\band\b|[,;.]", step.clause.text[over.end() :])
    end = over.end() + next_deed.start() if next_deed else len(step.clause.text)
    return any(m.uses and over.start() < m.start < end for m in step.mentions)


def _takes_all_open(text: str, role: Role) -> bool:
    """Return whether a step goes on with all bowls of its component: "combine", "drop spoonfuls", "pour in the melted mix"."""
    if _BY_SPOONFULS.search(text) or (role == "go_on" and _COMBINES.match(text)):
        return True
    return role == "join" and bool(_BACK_TO_A_MIX.search(text))


def _extend(taken: list[Bowl], more: Iterable[Bowl]) -> None:
    taken.extend(b for b in list(more) if b not in taken)


def _is_baked(text: str, wait: Wait | None) -> bool:
    return (wait is not None and wait.kind == "bake") or bool(
        re.search(r"\b(?:bake|roast)\b", text, re.I) and not re.search(r"\bbaked\b", text, re.I)
    )


def first_verb(text: str) -> tuple[str, int] | None:
    """Return the first verb of a step and where it ends; "off the heat" is none."""
    for word in re.finditer(r"[^\W\d_]+", text):
        verb = verb_of(word[0])
        if verb and not _NOUN_AFTER.search(text[: word.start()]):
            return verb, word.end()
    return None
