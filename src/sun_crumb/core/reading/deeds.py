"""What a line tells to do: marks of a step."""

from __future__ import annotations

import re
from collections.abc import Sequence

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.words import word_list

_STEP_NUMBER = re.compile(
    r"^\s*(?:step\s*)?(?:\d{1,2}|[ivx]{1,4})\s*[.):/\-–]\s*(?=\D)|^\s*step\s+\w+\s*[:.\-–]?\s*", re.I
)
# "2 Butter and flour 8 tins": a number with nothing behind it, before what is to be done.
_BARE_NUMBER = re.compile(r"^\s*\d{1,2}\s+(?=([A-Z][a-z]+)\b)")
DURATION = re.compile(
    r"\b(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|chill(?:ing)?|rest(?:ing)?|active|hands[- ]on|ready|inactive|cooling|freez(?:e|ing)|setting|proving)"
    r"(?:\s+time)?\s*(?:in\b)?\s*[:=\-–]?\s*(?:about\s+|overnight|\d(?!\d{0,2}\s*(?:slices|pieces|portions|servings|squares|bars|people)\b))",
    re.I,
)
SENTENCE_END = re.compile(r"[.!?]\s+(?=[^\W\d_])")
_TEMPERATURE = re.compile(
    r"(?:^\W*|(?<=[a-z]{4}),\s*|;\s*)(?:1[4-9]0|2[0-4]0|3[2-9][05]|4[0-2][05])\s+for\s+(?:about\s+)?\d{2}\b(?!\s*(?:people|g\b))|\b\d{3}\s*(?:°|º|deg(?:rees)?\b\.?|grad\b|gradi\b|grados\b|grader\b|graden\b|degrés\b)\s*(?:[CF]\b)?|\b\d{3}\s?[CF]\b|\bgas\s*(?:mark\s*)?\d\b|^\W*fan\s+\d{3}\b|\b1[2-9]\d\s*fan\b|\b2[0-4]\d\s*fan\b",
    re.I,
)


def without_number(raw: str) -> str:
    """Return a step without the number that it begins with, as it is where it has none."""
    if numbered := _STEP_NUMBER.match(raw):
        return raw[numbered.end() :]
    bare = _BARE_NUMBER.match(raw)
    is_told = bare is not None and len(raw.split()) >= LEAST_WORDS_TOLD and fold(bare[1]) in word_list("verb")
    return raw[bare.end() :] if bare is not None and is_told else raw


# "2 Crumble toppings" is food; a step says more.
LEAST_WORDS_TOLD = 6


def marks_of_deeds(raw: str, text: str, words: Sequence[str], known: Known) -> set[str]:
    """Return the marks of a step that a statement shows: its number, an imperative, sentences, a temperature."""
    found: set[str] = set()
    rest = without_number(raw.strip())
    is_numbered = rest != raw.strip()
    if not is_numbered:
        rest = text
    if is_numbered and not read_amount(rest):
        found.add("numbered")
    rest = _WELL_THEN.sub("", rest)
    of_part = _OF_ITS_PART.match(rest)
    if of_part and len(words) > 4 and fold(of_part[1]) in word_list("verb") - word_list("deed_food"):
        rest = rest[of_part.start(1) :]  # "Crust: cut together, press in the tin"
    first = re.search(r"[^\W\d_]+", rest)
    # "whip cream, fold in": one deed and another.
    second = re.search(r",\s*([^\W\d_]+)\s+[^\W\d_]", rest)
    is_two_deeds = second is not None and len(words) > LEAST_OF_A_DEED and fold(second[1]) in word_list("verb")
    if (
        first
        and not is_two_deeds
        and first[0].lower() in word_list("deed_food")
        and (len(words) <= 4 or known.is_behind)
    ):
        # "Butter the slices, layer in a 1.5 litre dish" is done; "Butter for the dish, 20 g" is bought.
        is_done = (_DONE_TO.match(rest) and len(words) > 4) or _CREAMS.match(rest)
        first = first if is_done else None
    begins_amount = known.has_amount and known.has_unit and not known.is_behind
    is_pair = (
        len(words) == 2
        and not raw.rstrip().endswith(":")
        and (all(fold(word) in word_list("verb") for word in words) or bool(DURATION.search(text)))
    )
    is_told = len(words) >= 3 or is_pair or _SO_LONG_OR_HOT.fullmatch(rest) is not None
    if first and fold(first[0]) in word_list("verb") and is_told and not begins_amount:
        found.add("imperative")
    if _is_done_to_it(rest, first, words, known):
        found.add("imperative")
    # "1 c. warm milk": a shortened unit ends no sentence.
    amount = read_amount(text) if begins_amount else None
    if SENTENCE_END.search(text[amount[1] :] if amount else text):
        found.add("sentences")
    if _TEMPERATURE.search(text) or re.search(r"^oven\s*[:=]|\b(?:slow|cool|moderate|medium|hot)\s+oven\b", text, re.I):
        found.add("temperature")
    return found


def _is_done_to_it(rest: str, first: re.Match[str] | None, words: Sequence[str], known: Known) -> bool:
    """Return whether what no verb begins is told to do: "Layer sponge and custard in a bowl", "Zest the lemons" and no "zest of 1 lemon", "fruit in a dish, mix"."""
    if len(words) > LEAST_LAYERED and _LAYERS.match(rest):
        return True
    if first and fold(first[0]) in word_list("deed_noun") and len(words) >= 3 and ON_IT.match(rest[first.start() :]):
        return True
    last = _DEED_LAST.fullmatch(rest.strip())
    is_deed = last is not None and fold(last[1]) in word_list("verb") - word_list("deed_food")
    return is_deed and not known.has_amount


ON_IT = re.compile(
    r"\w+\s+(?:the|all|both|each|your|half|it|them|everything|any|in|on|with|over|into|onto|together)\b", re.I
)
# "Bake for 40": its minutes stand on the next line.
_SO_LONG_OR_HOT = re.compile(r"[^\W\d_]{3,}\s+(?:for|at)\s+(?:about\s+)?\d{1,3}", re.I)
# What is said before it is told: "yes! melt the chocolate".
_WELL_THEN = re.compile(
    r"^(?:(?:the\s+)?(?:night|day|evening|morning)\s+(?:before|after)|the\s+next\s+(?:day|morning)|next\s+(?:day|morning)|on\s+the\s+day|an?\s+(?:hour|day)\s+(?:before|ahead)|to\s+serve|to\s+finish)[,:]?\s+(?=[a-z])|^(?:yes|yep|ok(?:ay)?|so|right|well|now|next|then|and)[!,.:;\s]+(?=[a-z])",
    re.I,
)
_OF_ITS_PART = re.compile(r"[^\W\d_]{3,12}(?: [^\W\d_]+)?:\s+([^\W\d_]+)(?!\s*\d)")
_DEED_LAST = re.compile(r"[^\W\d_][^.;,\d]{2,40}\b(?:in|into|on)\b[^.;,\d]{3,24},\s*(?:and\s+)?([a-z]+)\W*", re.I)
LEAST_OF_A_DEED = 2
_LAYERS = re.compile(r"layer\s+(?:up\s+)?(?!cake|of\b)[^.;\d]{3,80}?\b(?:in|into|with|over|between|on)\b", re.I)
LEAST_LAYERED = 4
# "Cream 4 oz. butter with 4 oz. castor sugar"
_DONE_TO = re.compile(
    r"\w+\s+(?:(?:the|a|an|each|both|your|while|when|over|all|lightly|generously|evenly|liberally)\b|\d[\d./½¼¾]*\s*(?:[a-z]+\.?\s+){2,4}(?:with|and|until|till|together)\b)",
    re.I,
)
# "Cream butter & sugar", "Dust while hot"
_CREAMS = re.compile(
    r"cream\s+(?:the\s+)?(?:butter|margarine|sugars?|fats?|everything|first)\b(?=\s*(?:&|and|\+|with|,|together)|\W*$)|(?:dust|glaze|ice|top)\s+(?:while|when|once|with)\b",
    re.I,
)
