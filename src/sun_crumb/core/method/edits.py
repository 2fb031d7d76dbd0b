"""How a sentence of the method says the plan's amounts: what stands where a food was named."""

from __future__ import annotations

import re
from collections.abc import Sequence

from sun_crumb.core.method.how_much import ALL_BUT
from sun_crumb.core.method.planned import Amount, PlannedLine, Told, as_said, named
from sun_crumb.core.method.records import Mention
from sun_crumb.core.method.sentences import verb_of
from sun_crumb.core.method.wording import listed
from sun_crumb.core.pantry.names import fold, singular, words_of


def as_pods(amount: Amount, words: str) -> str:
    """Return how much a mention takes; of a whole spice that it calls by less than its name "8 pods of" cardamom."""
    whole = named(amount.name, amount.told).split()
    is_short = (
        amount.told.isdigit() and whole[-2:] in (["cardamom", "pods"], ["cardamom", "pod"]) and "pod" not in words
    )
    return f"{amount.told} {whole[-1]} of" if is_short else amount.told


def as_amount(text: str, mention: Mention, told: str) -> tuple[int, int, str]:
    """Return the edit that says how much of one food goes in, where its name stands."""
    end = mention.end
    before = text[: mention.start]
    if mention.is_part:
        return _as_part(text, mention, told)
    if not mention.start and is_done_with(text, mention):
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


def is_done_with(text: str, mention: Mention) -> bool:
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
    if ALL_BUT.search(text[: mention.lead]):
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
# From this share on a part is the whole [share].
WHOLE = 0.985
# "add enough iced water to bind"
_ENOUGH = re.compile(r"\benough\s+(?:[a-z]+\s+)?$", re.I)
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


def as_list(text: str, mention: Mention, here: Sequence[Amount]) -> tuple[int, int, str]:
    """Return the edit that lists several amounts where one food stood, and joins the list that it stood in."""
    start = _before_adjectives(text, mention.lead)
    if but := ALL_BUT.search(text[:start]):
        start = but.start()  # how much stands in its place is said
    kind = text[start : mention.lead]
    phrases = [amount_phrase(a, kind if n == 0 else "") for n, a in enumerate(here)]
    if not start and verb_of(text[: mention.end].split()[0]) == fold(text[mention.start : mention.end]):
        # "Butter the bread": what is done says what with.
        return 0, mention.end, f"Spread {listed(phrases)} on"
    before = re.search(r"(?:,?\s+and\s+|\s*&\s*)(?:the\s+)?$", text[:start]) if len(phrases) > 1 else None
    goes_on = _AND_MORE.match(text[mention.end :])
    is_list = goes_on is not None and (bool(_NO_DEED.match(goes_on[1])) or not verb_of(goes_on[1].split()[0]))
    words = ", ".join(phrases) if len(phrases) > 1 and is_list else listed(phrases)
    return (before.start(), mention.end, f", {words}") if before else (start, mention.end, words)


POD_BEHIND = re.compile(r"\s+(?:pods?|sticks?)\b", re.I)
_POD = re.compile(r"\b(?:pod|stick)\b", re.I)
# What a list goes on with behind a food; "baking powder" is nothing that is done.
_AND_MORE = re.compile(
    r"\s*(?:,\s*(?:and\s+)?|and\s+)(?:the\s+)?(?!then\b|until\b|till\b|an?\s+\w+\s+at\b|\w+\s+by\s+\w+)(\w+(?:\s+\w+)?)"
)
_NO_DEED = re.compile(
    r"baking (?:powder|soda)|cooking (?:oil|apple|chocolate)|(?:butter|flour|oil|cream|salt|zest|juice|spice)s?\b(?!\s+(?:the|an?|your|it)\b)",
    re.I,
)


def as_it_is_called(words: str, line: PlannedLine, told: Told) -> str:
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


def amount_phrase(amount: Amount, kind: str = "") -> str:
    """Return an amount with its food's name, and what *kind* of it: "2 tbsp coarse sugar"."""
    if _IS_FRUIT.fullmatch(amount.told):
        return f"{kind}{amount.name} ({amount.told})"
    return f"{as_said(amount.told)} {kind}{named(amount.name, amount.told)}"


# What zest is told by.
_IS_FRUIT = re.compile(r"(?:\d|½|half an?|an?|one) (?:lemon|orange|lime|grapefruit)s?")
