"""The method of a plan: every amount of it in the steps that use it, what is gone nowhere, what comes in where its kind belongs."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field, replace

from sun_crumb.core.method.around import numbered, with_preparations, with_rest, with_untold
from sun_crumb.core.method.listed import Listed
from sun_crumb.core.method.oven import Baking, baked, first_look
from sun_crumb.core.method.places import Placing, goes_in_line, place_new, place_unnamed
from sun_crumb.core.method.planned import Amount, PlannedLine, Preparation, RewrittenStep, Told, as_said, named
from sun_crumb.core.method.records import Mention, MethodLine, MethodRead, MethodStep, Use
from sun_crumb.core.method.sentences import verb_of, verbs
from sun_crumb.core.method.wording import listed, sentence, without
from sun_crumb.core.pantry.names import fold, singular, words_of


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
            draft.edits.insert(0, (mention.end, mention.end, f" ({how} {_phrase(amount)})"))
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
    is_greased = mention.is_group and not mention.start and len(here) == 1 and _is_done_with(text, mention)
    if is_greased:
        draft.edits.append(_as_amount(text, mention, here[0].told))
    elif mention.is_group:
        end = len(text[: mention.end].rstrip())
        # "Mix everything except the chocolate (with 80 g cranberries)": of all but it these alone are new.
        beside = "with " if draft.step.after and _ALL_EXCEPT.search(text[mention.start : mention.end]) else ""
        draft.edits.append(
            (end, end, f" ({beside}{listed(_phrase(a) for a in here)})") if here else (mention.lead, mention.end, "")
        )
    elif not here:
        draft.edits.append((mention.lead, mention.end, ""))
    elif len(mention.uses) == 1 and len(here) == 1 and plan[here[0].line].position == mention.uses[0].position:
        draft.edits.append(_as_amount(text, mention, _as_pods(here[0], text[mention.start : mention.end])))
    else:
        draft.edits.append(_as_list(text, mention, here))
    if here and mention.start and any(_is_run_together(one, mention, text) for one in draft.step.mentions):
        start, end, words = draft.edits[-1]
        draft.edits[-1] = (start, end, f"and {words}")  # "cinnamon sugar": of each so much


_ALL_EXCEPT = re.compile(r"\b(?:except|but|apart from|bar|other than|save)\b", re.I)


def _is_run_together(one: Mention, mention: Mention, text: str) -> bool:
    """Return whether a mention stands right behind another that takes something, too."""
    return (
        bool(one.uses) and 0 < one.end < mention.start and text[one.end : mention.start] == " " and one.lead < one.end
    )


def _as_pods(amount: Amount, words: str) -> str:
    """Return how much a mention takes; of a whole spice that it calls by less than its name "8 pods of" cardamom."""
    whole = named(amount.name, amount.told).split()
    is_short = (
        amount.told.isdigit() and whole[-2:] in (["cardamom", "pods"], ["cardamom", "pod"]) and "pod" not in words
    )
    return f"{amount.told} {whole[-1]} of" if is_short else amount.told


def _as_amount(text: str, mention: Mention, told: str) -> tuple[int, int, str]:
    """Return the edit that says how much of one food goes in, where its name stands."""
    end = mention.end
    before = text[: mention.start]
    if mention.is_part:
        return _as_part(text, mention, told)
    if not mention.start and _is_done_with(text, mention):
        # "Butter a dish (20 g)": done with it
        end += re.search(r"\s*(?:[,.;]|\band\b|$)", text[end:]).start()  # type: ignore[union-attr]
        return end, end, f" ({told})"
    if behind := _behind_its_name(text, mention, told):
        return behind
    if held := _HELD_SO.search(before):
        return held.start(), mention.start, f"{as_said(told)} "  # "4 pears", "1 bottle (750 ml) red wine": once
    if pinched := _PINCH_OF.search(before):
        return pinched.start(), mention.start, f"{as_said(told)} "  # "pinch of salt": its amount once
    at = _before_adjectives(text, mention.start)
    if told.isdigit() and int(told) > 1 and text[mention.start : end].lower() == "egg":
        return at, end, f"{told} eggs"  # "beat in egg": two of them
    article = re.search(r"\bthe\s+$", text[:at], re.I) if re.match(r"an?\s", told) else None
    return article.start() if article else at, at, f"{as_said(told)} "  # "with a pinch of salt"


def _behind_its_name(text: str, mention: Mention, told: str) -> tuple[int, int, str] | None:
    """Return the edit that says how much of a food goes in behind its name; none where it stands before it."""
    end, before = mention.end, text[: mention.start]
    if bracket := _SO_MUCH_BEHIND.match(text, end):
        return end, bracket.end(), f" ({told})"
    if told in ("1", "1 pod") and (seeds := _SEEDS.match(text, end)):
        return seeds.end(), seeds.end(), " (1 pod)"
    if re.search(r"\b(?:an?|one)\s+$", before, re.I):
        return end, end, f" ({told} in all)"
    is_of_fruit = bool(_IS_FRUIT.fullmatch(told))
    if is_of_fruit and (_OF_SO_MANY.match(text, end) or _FRUIT_ITSELF.fullmatch(text[mention.start : end])):
        return end, end, ""  # "the zest of a lemon", "squeeze the lemons"
    is_pulp = told.isdigit() and _PULP.search(text[mention.start : end])
    if is_pulp or is_of_fruit or _MORE_OF_IT.search(before):
        return end, end, f" ({told})"  # "zest (1 lemon)"
    return (end, end, f" (about {told})") if _ENOUGH.search(before) else None


_FRUIT_ITSELF = re.compile(r"(?:lemon|lime|orange|grapefruit)s?", re.I)


def _is_done_with(text: str, mention: Mention) -> bool:
    """Return whether a sentence begins with what is done with the food itself: "Butter a dish"."""
    return verb_of(text.split()[0]) == fold(text[: mention.end])


def _as_part(text: str, mention: Mention, told: str) -> tuple[int, int, str]:
    """Return the edit that says how much a part of one food is, where its name stands: "half the sugar (50 g)"."""
    end, before, part = mention.end, text[: mention.start], text[mention.lead : mention.start]
    if (is_each := _EACH_WITH.search(text[: mention.lead])) or _EACH_TIME.match(text, end):
        # "sprinkle each with a teaspoon of demerara", "a spoonful of flour with each egg"
        return end, end, f" ({told} in all)" if is_each else ""
    is_whole = mention.uses[0].share > WHOLE
    if remaining := _REMAINING_MEASURE.search(part):
        return mention.lead + remaining.start("measure"), mention.start, f"{as_said(told)} "
    if _ALL_BUT.search(text[: mention.lead]):
        return end, end, f" ({told})"  # "all but 2 tbsp of the chips (90 g)"
    if _KEEPS_BACK.search(text[: mention.lead]):
        return end, end, f" ({told} go in)"  # "keeping back a third of the walnuts (50 g go in)"
    if re.match(r"an?\s", told) and told.split()[-1] in part.split():
        return end, end, ""  # "the handful of oats"
    if part.strip().startswith(f"{told} ") and told.isdigit():
        return end, end, ""  # "1 beaten egg"
    if _A_MEASURE.match(part) or _A_COUNT.fullmatch(part) or (not is_whole and _SO_MUCH.match(part)):
        return mention.lead, mention.start, f"{as_said(told)} "
    if bracket := _SO_MUCH_BEHIND.match(text, end):
        return end, bracket.end(), f" ({told})"  # "a pastry case (about 300 g pastry)"
    if is_whole or re.search(r"\b(?:an?|one)\s+$", before, re.I):
        return end, end, f" ({told} in all)"  # "half the fingers ... repeat": all of them
    return end, end, f" (about {told})" if _ENOUGH.search(before) else f" ({told})"


_EACH_WITH = re.compile(r"\beach\s+(?:\w+\s+)?(?:with|in)\s+(?:about\s+)?$", re.I)
_EACH_TIME = re.compile(
    r"\s*(?:with|after|for|between)\s+(?:each|every)\b|\s+(?:each|every) time\b|\s+at a time\b", re.I
)


def _taken_up(
    draft: _Draft, mention: Mention, placing: Placing, plan: Sequence[PlannedLine], told: Told
) -> list[Amount]:
    """Return the amounts that are said where a mention stands; what has a sentence of its own goes after the step's."""
    here: list[Amount] = []
    # "1 vanilla pod", where the mention ends with the vanilla
    words = (
        draft.step.text[mention.start : mention.end] + (_POD_BEHIND.match(draft.step.text[mention.end :]) or [""])[0]
    )
    placed = ((use, k, share) for use in mention.uses for k, share in placing.lines_for(draft.step.n, use))
    for use, k, share in placed:
        of_it = _part_here(draft.step, use)
        for amount in _amounts(plan, k, share * of_it, told):
            part = _as_it_is_called(words, plan[k], told) if plan[k].position == use.position else ""
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


# From this share on a part is the whole [share].
WHOLE = 0.985
# "add enough iced water to bind"
_ENOUGH = re.compile(r"\benough\s+(?:[a-z]+\s+)?$", re.I)
_ALL_BUT = re.compile(r"\ball\s+but\s*(?:about\s+)?$", re.I)
# "adding more milk if needed"
_MORE_OF_IT = re.compile(r"\b(?:more|extra|any)\s+$", re.I)
# "the passion fruit pulp (6)": so many were cut
_PULP = re.compile(r"\b(?:pulp|flesh|seeds)\b", re.I)
# "the vanilla seeds (1 pod)"
_SEEDS = re.compile(r"\s+seeds\b", re.I)
_OF_SO_MANY = re.compile(r"\s+of\s+(?:the|both|all|an?|one|two|\d)\s", re.I)
_PINCH_OF = re.compile(
    r"\b(?:an?\s+)?(?:good\s+|big\s+|little\s+)?(?:pinch|dash|splash|drop|squeeze)(?:es|s)?\s+of\s+$", re.I
)
# "¼ cup sugar", "the 2 T. sugar": an amount that the plan's takes the place of.
_SO_MUCH = re.compile(r"\s*(?:the\s+)?[\d½¼¾⅓⅔⅛]")
_MEASURE = r"(?:the\s+)?(?:[\d½¼¾⅓⅔⅛][\d.,/½¼¾⅓⅔⅛ ]*|(?:an?|one|two|three|four|half\s+an?)\s+)(?:g|grams?|kg|ml|millilit\w+|cl|l|lit\w+|oz|ounces?|lbs?|pounds?|cups?|c|t|tsps?|tbsps?|\w*spoons?(?:fuls?)?)\b"
_A_MEASURE = re.compile(rf"\s*{_MEASURE}", re.I)
# "remaining 90 grams sugar"
_REMAINING_MEASURE = re.compile(rf"\b(?:remaining|other|last)\s+(?P<measure>{_MEASURE})", re.I)
_KEEPS_BACK = re.compile(r"\b(?:keep|hold|sav|reserv)(?:e|ing)?\s*(?:back|aside)?\s*$", re.I)
_A_COUNT = re.compile(r"\s*(?:the\s+)?\d+\s+")
_SO_MUCH_BEHIND = re.compile(r"[^.,;()]{0,12}\((?:about\s+)?\d+\s*(?:g|ml)\b[^()]*\)", re.I)
_HELD_SO = re.compile(
    r"(?:\b(?:\d+|an?|one)\s+(?:bottles?|tins?|cans?|cartons?|packets?|packs?|tubs?|pots?|jars?|bags?|bars?|blocks?)\s*\([^()]*\)\s*(?:of\s+)?|(?<![\w.,/])[\d½¼¾]+\s+|\b(?:an?|one)\s+(?:strip|knob|handful|sprig|stick)\s+of\s+)$",
    re.I,
)
_ADJECTIVES = re.compile(
    r"(?:(?:coarse|fine|thick|thin|runny|raw|boiling|hot|warm|cold|soft|flaky|flaked|sea|lukewarm|chilled|fresh|whole|large|small|ripe|dry|finely|roughly|coarsely|ground|strong|light|dark|cool|plain|split|torn|cut|broken|[a-z]+ed)\s+)+$",
    re.I,
)


def _before_adjectives(text: str, at: int) -> int:
    found = _ADJECTIVES.search(text[:at])
    if found is None:
        return at
    first = found[0].split()[0]
    begins = not re.search(r"\w", text[: found.start()])
    # "Warm lemon juice and sugar": what is done.
    return found.start() + len(first) + 1 if begins and verb_of(first) and not first.endswith("ed") else found.start()


def _as_list(text: str, mention: Mention, here: Sequence[Amount]) -> tuple[int, int, str]:
    """Return the edit that lists several amounts where one food stood, and joins the list that it stood in."""
    start = _before_adjectives(text, mention.lead)
    if but := _ALL_BUT.search(text[:start]):
        start = but.start()  # how much stands in its place is said
    kind = text[start : mention.lead]
    phrases = [_phrase(a, kind if n == 0 else "") for n, a in enumerate(here)]
    if not start and verb_of(text[: mention.end].split()[0]) == fold(text[mention.start : mention.end]):
        # "Butter the bread": what is done says what with.
        return 0, mention.end, f"Spread {listed(phrases)} on"
    before = re.search(r"(?:,?\s+and\s+|\s*&\s*)(?:the\s+)?$", text[:start]) if len(phrases) > 1 else None
    goes_on = _AND_MORE.match(text[mention.end :])
    is_list = goes_on is not None and (bool(_NO_DEED.match(goes_on[1])) or not verb_of(goes_on[1].split()[0]))
    words = ", ".join(phrases) if len(phrases) > 1 and is_list else listed(phrases)
    return (before.start(), mention.end, f", {words}") if before else (start, mention.end, words)


_POD_BEHIND = re.compile(r"\s+(?:pods?|sticks?)\b", re.I)
_POD = re.compile(r"\b(?:pod|stick)\b", re.I)
# What a list goes on with behind a food; "baking powder" is nothing that is done.
_AND_MORE = re.compile(
    r"\s*(?:,\s*(?:and\s+)?|and\s+)(?:the\s+)?(?!then\b|until\b|till\b|an?\s+\w+\s+at\b|\w+\s+by\s+\w+)(\w+(?:\s+\w+)?)"
)
_NO_DEED = re.compile(
    r"baking (?:powder|soda)|cooking (?:oil|apple|chocolate)|(?:butter|flour|oil|cream|salt|zest|juice|spice)s?\b(?!\s+(?:the|an?|your|it)\b)",
    re.I,
)


def _as_it_is_called(words: str, line: PlannedLine, told: Told) -> str:
    """Return the number of yolks or whites, where a mention takes a part of whole eggs; the weight of "mango flesh", that no number fits; else nothing."""
    if not words.strip():
        return ""  # a mention of no word of its own
    if line.ingredient.group in ("fruit", "morefruit", "vegetable") and line.told.isdigit():
        named_so = {singular(word) for word in words_of(line.ingredient.name)}
        return "" if singular(fold(words.split()[-1])) in named_so else told(line.ingredient, line.grams)
    if line.told.isdigit() and line.ingredient.key == "cinnamon" and not _POD.search(words):
        return f"{line.told} stick{'' if line.told == '1' else 's'}"
    if line.told.isdigit() and _POD.search(line.ingredient.name) and not _POD.search(words):
        return f"{line.told} {_POD.search(line.ingredient.name)[0]}"  # type: ignore[index]
    if line.ingredient.key != "egg" or not re.search(r"yolk|white", words, re.I):
        return ""
    return told(line.ingredient, line.grams)


def _phrase(amount: Amount, kind: str = "") -> str:
    if _IS_FRUIT.fullmatch(amount.told):
        return f"{kind}{amount.name} ({amount.told})"
    return f"{as_said(amount.told)} {kind}{named(amount.name, amount.told)}"


# What zest is told by.
_IS_FRUIT = re.compile(r"(?:\d|½|half an?|an?|one) (?:lemon|orange|lime|grapefruit)s?")


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
    words = listed(_phrase(a) for a in more)
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
        told = listed(_phrase(a) for a in amounts)
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
