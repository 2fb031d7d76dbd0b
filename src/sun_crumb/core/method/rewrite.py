"""The method of a plan: every amount of it in the steps that use it, what is gone nowhere, what comes in where its kind belongs."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field, replace

from sun_crumb.core.method.around import numbered, with_preparations, with_rest, with_untold
from sun_crumb.core.method.edits import (
    POD_BEHIND,
    WHOLE,
    amount_phrase,
    as_amount,
    as_it_is_called,
    as_list,
    as_pods,
    is_done_with,
)
from sun_crumb.core.method.listed import Listed
from sun_crumb.core.method.oven import Baking, baked, first_look
from sun_crumb.core.method.places import Placing, goes_in_line, place_new, place_unnamed
from sun_crumb.core.method.planned import Amount, PlannedLine, Preparation, RewrittenStep, Told
from sun_crumb.core.method.records import Mention, MethodLine, MethodRead, MethodStep, Use
from sun_crumb.core.method.sentences import verb_of, verbs
from sun_crumb.core.method.wording import listed, sentence, without
from sun_crumb.core.pantry.names import fold


@dataclass(slots=True)
class _Draft:
    step: MethodStep
    edits: list[tuple[int, int, str]] = field(default_factory=list)
    amounts: list[Amount] = field(default_factory=list)
    # What has a sentence of its own, by where the words end that it goes with.
    after: dict[int, list[Amount]] = field(default_factory=dict)
    before: str = ""
    more: str = ""
    skip: int = 0
    is_gone: bool = False


def rewrite(
    read: MethodRead,
    lines: Sequence[MethodLine],
    plan: Sequence[PlannedLine],
    told: Told,
    preparations: Mapping[tuple[str, str], Preparation] | None = None,
    baking: Baking | None = None,
    notes: Callable[[MethodStep], Sequence[str]] | None = None,
) -> tuple[RewrittenStep, ...]:
    """Return the method for the plan's amounts.

    Every line of the plan stands in the steps that use it, shares adding up to one; divided ones stay divided. A step that only used what is
    gone goes too. What must be made first is a step of its own before.

    Parameters
    ----------
    read
        The original's method.
    lines
        The original's lines, in their order.
    plan
        The plan's lines; those of 0 g are gone.
    told
        How an amount is told in the kitchen.
    preparations
        What must be made, by component and pantry key.
    baking
        What the plan asks of the oven.
    notes
        What is to be said of a step.
    """
    placing = Placing.of(read, lines)
    place_unnamed(placing, plan)
    place_new(placing, plan)
    drafts = [_draft(step, placing, plan, told) for step in read.steps]
    kept = [draft for draft in drafts if not draft.is_gone]
    found = [_finished(draft, baking, notes) for draft in kept]
    untold: dict[str, list[Amount]] = {}
    for k, line in enumerate(plan):
        if placing.is_untold(line.component):
            untold.setdefault(line.component, []).extend(_amounts(plan, k, 1.0, told))
    found = with_untold(
        found,
        {name: amounts for name, amounts in untold.items() if amounts},
        {line.component: line.text for line in lines},
    )
    return numbered(with_rest(with_preparations(found, plan, preparations or {}), plan))


def _draft(step: MethodStep, placing: Placing, plan: Sequence[PlannedLine], told: Told) -> _Draft:
    draft = _Draft(step)
    at_step = placing.by_step[step.n]
    for mention in step.mentions:
        _edit(draft, mention, placing, plan, told)
    said = {amount.line for amount in draft.amounts}
    more = [a for k, share in at_step.items() if k not in said for a in _amounts(plan, k, share, told)]
    draft.amounts += more
    more = _beside_its_twin(draft, more, placing, plan)
    if more:
        _append(draft, more)
    if (
        not draft.amounts
        and step.wait is None
        and step.temperature_c is None
        and _is_of_what_is_gone(step, placing, plan)
    ):
        # "Dust with the sugar and cut into 16": what is done besides stays.
        goes_on = _goes_on(step.text, max(m.end for m in step.mentions))
        draft.is_gone = goes_on is None
        draft.edits, draft.skip = [], goes_on or 0
    return draft


def _beside_its_twin(draft: _Draft, more: list[Amount], placing: Placing, plan: Sequence[PlannedLine]) -> list[Amount]:
    """Say what one line tells besides a food where that food stands ("the 2 tsp coffee (in 1 tbsp water)"); return the rest."""
    left = []
    for amount in more:
        position = plan[amount.line].position
        twins = [] if position is None else Listed(tuple(placing.lines)).twins(position)
        of_it = (
            m for m in draft.step.mentions if m.end and not m.is_group and any(u.position in twins for u in m.uses)
        )
        if (mention := next(of_it, None)) is None or len(twins) < 2:
            left.append(amount)
        else:
            is_liquid = plan[amount.line].ingredient.has_role("liquid")
            is_with = re.search(r"\b(?:beaten|mixed|whisked) with\b", placing.lines[position or 0].text, re.I)
            how = "with" if is_with else "in" if is_liquid else "and"
            draft.edits.insert(0, (mention.end, mention.end, f" ({how} {amount_phrase(amount)})"))
    return left


def _is_of_what_is_gone(step: MethodStep, placing: Placing, plan: Sequence[PlannedLine]) -> bool:
    """Return whether all that a step's words take or speak of is gone, and nothing stands in its place."""
    spoken = [m for m in step.mentions if m.of and not m.greases]
    if not spoken or re.search(r"\b(?:until|till)\b", step.text[: spoken[0].start], re.I):
        return False
    return all(not any(placing.stays(k, plan) for k in m.of) and not placing.instead_of(m.of, plan) for m in spoken)


_ANOTHER = re.compile(r"(?:,\s*(?:and\s+)?(?:then\s+)?|\s+and\s+(?:then\s+)?|;\s*|\.\s+)(?=([a-z]+))", re.I)


def _goes_on(text: str, at: int) -> int | None:
    """Return where a step's words go on to something else that is done, None where they don't."""
    return next(
        (m.end() for m in _ANOTHER.finditer(text, at) if verb_of(m[1]) and not m[1].lower().endswith("ing")), None
    )


def _amounts(plan: Sequence[PlannedLine], k: int, share: float, told: Told) -> list[Amount]:
    line = plan[k]
    grams = share * line.grams
    if grams < 0.005:
        return []
    words = line.told if share > WHOLE else told(line.ingredient, grams)
    if share <= WHOLE and _IN_GRAMS.fullmatch(line.told):
        words = f"{grams:.0f} g"  # half of "110 g egg whites" is no 1¾ of them
    return [Amount(k, share, grams, words, line.name)]


_IN_GRAMS = re.compile(r"\d{2,}(?:\.\d+)? g")


def _edit(draft: _Draft, mention: Mention, placing: Placing, plan: Sequence[PlannedLine], told: Told) -> None:
    """Put the plan's amounts where a mention stood, or take it out."""
    if not mention.end:
        return
    if mention.is_moved:
        draft.edits.append((mention.lead, mention.end, ""))
        return
    if not mention.uses:
        _edit_back(draft, mention, placing, plan)
        return
    text = draft.step.text
    here = _taken_up(draft, mention, placing, plan, told)
    is_greased = mention.is_group and not mention.start and len(here) == 1 and is_done_with(text, mention)
    if is_greased:
        draft.edits.append(as_amount(text, mention, here[0].told))
    elif mention.is_group:
        end = len(text[: mention.end].rstrip())
        # "Mix everything except the chocolate (with 80 g cranberries)": of all but it these alone are new.
        beside = "with " if draft.step.after and _ALL_EXCEPT.search(text[mention.start : mention.end]) else ""
        draft.edits.append(
            (end, end, f" ({beside}{listed(amount_phrase(a) for a in here)})")
            if here
            else (mention.lead, mention.end, "")
        )
    elif not here:
        draft.edits.append((mention.lead, mention.end, ""))
    elif len(mention.uses) == 1 and len(here) == 1 and plan[here[0].line].position == mention.uses[0].position:
        draft.edits.append(as_amount(text, mention, as_pods(here[0], text[mention.start : mention.end])))
    else:
        draft.edits.append(as_list(text, mention, here))
    if here and mention.start and any(_is_run_together(one, mention, text) for one in draft.step.mentions):
        start, end, words = draft.edits[-1]
        draft.edits[-1] = (start, end, f"and {words}")  # "cinnamon sugar": of each so much


_ALL_EXCEPT = re.compile(r"\b(?:except|but|apart from|bar|other than|save)\b", re.I)


def _is_run_together(one: Mention, mention: Mention, text: str) -> bool:
    """Return whether a mention stands right behind another that takes something, too."""
    return (
        bool(one.uses) and 0 < one.end < mention.start and text[one.end : mention.start] == " " and one.lead < one.end
    )


def _taken_up(
    draft: _Draft, mention: Mention, placing: Placing, plan: Sequence[PlannedLine], told: Told
) -> list[Amount]:
    """Return the amounts that are said where a mention stands; what has a sentence of its own goes after the step's."""
    here: list[Amount] = []
    # "1 vanilla pod", where the mention ends with the vanilla
    words = draft.step.text[mention.start : mention.end] + (POD_BEHIND.match(draft.step.text[mention.end :]) or [""])[0]
    placed = ((use, k, share) for use in mention.uses for k, share in placing.lines_for(draft.step.n, use))
    for use, k, share in placed:
        of_it = _part_here(draft.step, use)
        for amount in _amounts(plan, k, share * of_it, told):
            part = as_it_is_called(words, plan[k], told) if plan[k].position == use.position else ""
            amount = replace(amount, told=part) if part else amount
            before = next((n for n, x in enumerate(draft.amounts) if x.line == amount.line), None)
            if before is None:
                draft.amounts.append(amount)
            elif of_it < WHOLE:
                # "Whisk in half the sugar, fold in the rest": two parts of it in one step.
                whole = _amounts(plan, k, draft.amounts[before].share + amount.share, told)
                draft.amounts[before : before + 1] = whole
            else:
                continue
            is_here = (
                mention.is_group  # "bubble everything (100 g butter and 50 g honey)"
                or plan[k].position is not None
                or goes_in_line(placing, use.position, plan[k].ingredient)
            )
            (here if is_here else draft.after.setdefault(mention.end, [])).append(amount)
    return here


def _part_here(step: MethodStep, use: Use) -> float:
    """Return which part of what a step takes of a line one mention of it takes."""
    whole = sum(u.share for m in step.mentions for u in m.uses if u.position == use.position)
    return use.share / whole if whole > 0 else 1.0


def _edit_back(draft: _Draft, mention: Mention, placing: Placing, plan: Sequence[PlannedLine]) -> None:
    """Say what took the place of something gone where the words come back to it, or leave it out."""
    if not mention.of or any(placing.stays(k, plan) for k in mention.of):
        return
    if mention.greases:
        words = draft.step.text[mention.start : mention.end]
        if fold(words) == "butter" and not mention.start:
            draft.edits.append((mention.start, mention.end, "Grease"))
        return
    instead = [plan[k].ingredient.name for k in placing.instead_of(mention.of, plan)]
    if instead:
        draft.edits.append((mention.lead, mention.end, listed(instead[:1])))
    else:
        draft.edits.append((mention.lead, mention.end, ""))


def _append(draft: _Draft, more: Sequence[Amount]) -> None:
    """Say what goes in that a step's words name nothing for: behind its verb where that has no object, else in a sentence."""
    text = draft.step.text.rstrip()
    words = listed(amount_phrase(a) for a in more)
    first = re.match(r"\W*([a-z]+)(?=\s*(?:[,.;]|until\b|till\b|for\b|in (?:a|the)\b|well\b|together\b|$))", text, re.I)
    if first and verb_of(first[1]) and not draft.edits:
        with_it = "with " if verbs()[verb_of(first[1])]["does"] == "join" else ""
        draft.edits.append((first.end(), first.end(), f" {with_it}{words}"))
    elif (those := re.search(r"\b(?:these|those|them)\b", text, re.I)) and len(more) == 1 and not draft.edits:
        draft.edits.append((those.end(), those.end(), f" ({words})"))  # "Arrange these (50 g almonds) on top"
    elif re.match(r"\W*(?:rub|blend|cut)\s+in\b", text, re.I):
        draft.before = f"Put {words} in a bowl. "
    else:
        draft.more = f" Add {words}."


def _after(draft: _Draft) -> None:
    """Say what goes in behind the sentence that it belongs to: syrups and pastes after the wet."""
    text = draft.step.text
    for at, amounts in draft.after.items():
        stop = re.compile(r"[.!](?=\s|$)|;(?=\s+[A-Z]|$)").search(text, at)
        end = stop.end() if stop else len(text)
        told = listed(amount_phrase(a) for a in amounts)
        if leaves := _LEAVES_THE_BOWL.search(text, at, end):
            # A paste goes in before the dough is worked, or the batter is spread over the fruit.
            # Behind what else is said there: "(500 g flour and 2 eggs), stir in ...".
            draft.edits.insert(0, (leaves.start(), leaves.start(), f", stir in {told}"))
            continue
        words = f" Stir in {told}."
        # Behind whatever else is said at the sentence's end.
        draft.edits.insert(0, (end, end, words if stop else f".{words}"))


def _finished(
    draft: _Draft, baking: Baking | None, notes: Callable[[MethodStep], Sequence[str]] | None
) -> RewrittenStep:
    text = draft.step.text[draft.skip :]
    _after(draft)
    for start, end, words in sorted(draft.edits, key=lambda e: (e[0], e[1]), reverse=True):
        text = text[:start] + (words or GONE) + text[end:] if words or start < end else text
    step = draft.step
    text = draft.before + sentence(without(text, GONE)) + draft.more
    if baking is not None:
        text, step = baked(text, step, baking)
        text = sentence(text) if text[-1:].isalnum() else text
    uses = tuple(Use(a.line, a.share, a.grams) for a in draft.amounts)
    said = list(notes(draft.step)) if notes is not None else []
    if baking is not None and baking.foil and step.wait is not None and step.wait.kind == "bake":
        said.append(
            f"Look from minute {first_look(step.wait.low_min)}: it browns sooner. Foil over the top if it is dark before it is done."
        )
    return RewrittenStep(
        replace(step, text=text, uses=uses, mentions=()), draft.step.text, tuple(draft.amounts), tuple(said)
    )


_LEAVES_THE_BOWL = re.compile(
    r"(?:,\s+(?:and\s+)?(?:then\s+)?|\s+and\s+(?:then\s+)?|\s+then\s+)(?:knead\b|(?:lay|arrange|set)\s+(?:the|your)\s+[^,.;]{2,30}?\s+(?:on|over)\b|(?:spread|spoon|pour|tip|scrape|pile|dollop)\b(?:\s+(?:it|evenly|the (?:batter|mixture)))?\s+(?:over|on|onto|on top of)\b)",
    re.I,
)
# What stands for words that go, until the sentence is closed over them.
GONE = "\x00"
