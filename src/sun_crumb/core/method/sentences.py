"""The steps of a text taken into smaller ones: a sentence each, and a wait each."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from functools import cache
from itertools import pairwise

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.amounts import without_unit_stops
from sun_crumb.core.reading.durations import durations
from sun_crumb.core.reading.records import Step
from sun_crumb.core.reference import table

_END = re.compile(
    r"(?<=[.!?;])(?<!\bmin\.)(?<!\bmins\.)(?<!\bhr\.)(?<!\bhrs\.)(?<!\bapprox\.)(?<!\bdeg\.)(?<!(?i:\btbsp\.))(?<!(?i:\btsp\.))(?<!(?i:\btbl\.))(?<!\boz\.)(?<!\d\sc\.)(?<!\be\.g\.)(?<!\bi\.e\.)(?<!\d\sin\.)(?<!\d-in\.)(?<!\bca\.)(?<!\bno\.)(?<!\bth\.)(?<!\bmed\.)(?<!\bcond\.)(?<!\bw\.)(?<!\bevap\.)(?<!\bchoc\.(?=\s[a-z]))(?<!\bgran\.)(?<!\bveg\.)(?<!\bconf\.(?=\s[a-z]))(?<!\bbkg\.(?=\s[a-z]))(?<!\bpwdr\.(?=\s[a-z]))(?<!\bvan\.(?=\s[a-z]))(?<!\bcinn\.(?=\s[a-z]))(?<!\bess\.(?=\s[a-z]))(?<!\bext\.(?=\s[a-z]))(?<!\btemp\.(?=\s[a-z]))\s+(?=\S)"
    r"|(?<=\bmin\.)\s+(?=[A-Z])|(?<=\bmins\.)\s+(?=[A-Z])|(?<=\bhr\.)\s+(?=[A-Z])|(?<=\bhrs\.)\s+(?=[A-Z])|\n+"
)
_WAITING = r"(?:reduce|lower|turn\s+(?:the\s+(?:oven|heat)\s+|it\s+)?down|bake|roast|chill|refrigerate|freeze|cool|leave|let|rest|prove|proof|steam|stand|return|cook(?=\s+(?:for\s+)?(?:about\s+|another\s+|a further\s+)?\d))"
# Where a wait begins behind something to do, and where something to do begins behind a wait.
_BEFORE_A_WAIT = re.compile(
    rf"(?:,\s*(?:and\s+)?(?:then\s+)?|;\s*|\s+and\s+(?:then\s+)?|\s+then\s+|\s+before\s+(?=baking|chilling))(?={_WAITING}\b)",
    re.I,
)
_AFTER_A_WAIT = re.compile(
    r"(?:,\s*(?:and\s+)?(?:then\s+)?|;\s*|\s+and\s+(?:then\s+)?|\s+then\s+|\s+before\s+)(?=[a-z])", re.I
)
_LEAVE_IN = re.compile(r"\b(?:leave|let)\b", re.I)
# What a recipe says at its end and nobody does.
_SAID = re.compile(
    r"^\W*(?:(?:serves|makes|yields?|cuts into|enough for|gives)\b[^.]{0,40}|keeps?\b(?!\s+(?:(?:back|aside|out)\b|\d+\s*(?:g|ml|tbsps?|tsps?|cups?)\b)).*|(?:can be )?stor(?:e|ed)\b.*|enjoy\b.*|serve\b(?!\s+(?:\w+\s+)?(?:with|over)\b)[^.]{0,60}|eat\b(?!.*\bwith\b)[^.]{0,40}|best\b.*|nutrition\b.*)\W*$",
    re.I,
)
# How many it makes is nothing to do, though "slices" sounds like it.
_YIELD = re.compile(
    r"^\W*(?:(?:the following|this)\s+(?:makes|serves|feeds)\b[^.]{0,60}|(?:serves|makes|yields?|enough for|cuts (?:in)?to|you get)\s+(?:about\s+|around\s+)?\d{1,3}\b|\d{1,3}\s+(?:\w+\s+)?(?:slices|pieces|squares|bars|servings|portions|cookies|biscuits)\b)(?:[^.]{0,30}|\s+if\b[^.]*)\W*$",
    re.I,
)
_TOLD_AS_METHOD = re.compile(r"^\W*(?:how|how to|method|directions)\s*:\s*", re.I)
_WARNS = re.compile(
    r"^\W*(?:do not|don[’']t|be careful|take care|make sure|careful|try not|no need|it (?:will|should|may)|this|they|you (?:may|should|can|want))\b",
    re.I,
)
_TIMES_TOLD = re.compile(r"^\W*(?:(?:total|prep\w*|cook\w*|bak\w*|active|hands[- ]on)\s+)?time\b", re.I)
_AFTER_MINUTES = re.compile(r"(\b(?:mins?|hrs?)\.)\s+(?=([a-z]+))")
MOST_STEPS = 200


@dataclass(frozen=True, slots=True)
class Clause:
    """A small step: its words, the step of the text that it is of (from 1), and the heading above that."""

    text: str
    origin: int
    part: str


@cache
def verbs() -> dict[str, dict[str, str]]:
    """Return the rows of method_verbs.csv by verb."""
    return {row["verb"]: row for row in table("method_verbs")}


def verb_of(word: str) -> str:
    """Return the verb of method_verbs.csv that a word is a form of ("stirring", "chilled"), or an empty string."""
    word = fold(word)
    known = verbs()
    tries = [
        word,
        word.removesuffix("s"),
        word.removesuffix("es"),
        word.removesuffix("d"),
        word.removesuffix("ed"),
        word.removesuffix("ing"),
        word.removesuffix("ing") + "e",
    ]
    stem = re.sub(r"(?:ing|ed)$", "", word)
    if len(stem) > 2 and stem[-1:] == stem[-2:-1]:
        tries.append(stem[:-1])
    if stem.endswith("i"):
        tries.append(stem[:-1] + "y")
    return next((t for t in tries if t in known), "")


def clauses(steps: Sequence[Step]) -> list[Clause]:
    """Return the small steps of a method, in order; what only tells of serving, keeping or yield is none.

    A sentence is one, and each wait that follows something to do is one more; a sentence that does nothing belongs to the one before.
    """
    found: list[Clause] = []
    own = [bool(re.match(rf"\s*{n}\s+[^\W\d_]", step.text)) for n, step in enumerate(steps, start=1)]
    for number, step in enumerate(steps, start=1):
        is_list = False
        # "1 simmer figs in juice": its own number, where the steps have theirs.
        told = re.sub(r"^\s*\d{1,2}\s+", "", step.text) if own[number - 1] and sum(own) > 1 else step.text
        for sentence in _sentences(told):
            is_list = _is_list(sentence, goes_on=is_list)
            if is_list:
                # "These are the ones the children ask for. You need ...": talk before a list.
                found = found[:-1] if found and found[-1].origin == number and not _does(found[-1].text) else found
                continue
            for part in _waits_apart(sentence):
                text = _TOLD_AS_METHOD.sub("", part.strip(" ,;–-*•●○▪·>"))
                if not re.search(r"[^\W\d_]", text) and not durations(text):
                    continue
                if (
                    _KEEPS.match(text)
                    or _TIMES_TOLD.match(text)
                    or _YIELD.match(text)
                    or (_SAID.match(text) and not _does(text))
                ):
                    continue
                if found and found[-1].origin == number and (_WARNS.match(text) or not _does(text)):
                    stop = "" if found[-1].text[-1] in ".!?:" else ";"
                    found[-1] = Clause(f"{found[-1].text}{stop} {text}", number, step.part)
                else:
                    found.append(Clause(text, number, step.part))
    return found[:MOST_STEPS]


# "Keeps in the fridge for 4 days."
_KEEPS = re.compile(
    r"\W*(?:(?:it|they|these|this)\s+)?keeps?\b(?!\s+(?:back|aside|out|stirring|whisking|warm))[^.;]*\b(?:days?|weeks?|months?|airtight|fridge)\b",
    re.I,
)
# "For 4 people you need 4 pears, a bottle of red wine ...": a list, and nothing that is done.
_NEEDS = re.compile(
    r"\W*(?:for\s+[^,.]{3,30}?,?\s+)?(?:you(?:['’]ll)?|it|this)\s+(?:will\s+)?(?:needs?|takes)\s+(?=[\d½¼¾]|an?\b|one\b|two\b)",
    re.I,
)
# "Take 8 slices of bread; 500 ml milk; 2 eggs", "Gather 200 g flour, 2 eggs and 100 g sugar"
_GATHERS = re.compile(
    r"\W*(?:[^.;:]{0,60}[.:]\s+)?(?:take|gather|weigh out|measure out|get out)\s+(?=[\d½¼¾]|an?\b|one\b|two\b)", re.I
)
_ANOTHER_FOOD = re.compile(r"[,;]\s+(?:and\s+)?(?:[\d½¼¾]|half an?\b|an?\b|one\b|two\b)", re.I)
# "50 g butter, melted;", "I also add a spoon of syrup.": more of such a list.
_MORE_OF_A_LIST = re.compile(
    r"\W*(?:(?:I|we)\s+(?:also\s+|usually\s+|always\s+|often\s+)?(?:add|use|put in)\s+(?:also\s+)?)?(?:[\d½¼¾]+\s?(?!min|hour)|half an?\b|an?\b|one\b|two\b|three\b)",
    re.I,
)


def _is_list(sentence: str, *, goes_on: bool) -> bool:
    """Return whether a sentence tells what is needed, and nothing that is done; *goes_on* where the one before it does."""
    if _NEEDS.match(sentence) or (goes_on and _MORE_OF_A_LIST.match(sentence)):
        return True
    gathers = _GATHERS.match(sentence)
    return bool(gathers) and (sentence[-1] == ";" or len(_ANOTHER_FOOD.findall(sentence)) > 1)


# "15 minutes with beans, then 5 without"
_MINUTES_AGAIN = re.compile(
    r"(\bmin(?:ute)?s?\b[^.;\d]{0,24}?(?:,?\s+then\s+|,\s+)(?:for\s+)?)(\d{1,2})(?=\s+(?:with(?:out)?|more|uncovered|longer|on)\b)",
    re.I,
)


# "for 20 minutes, uncover and bake for 5 more"
_SO_MANY_MORE = re.compile(
    r"(\b(?:bake|cook|simmer|boil|steam|roast)(?:\s+\w+)?\s+for\s+(?:another\s+)?\d{1,2})\s+more\b(?!\s+min)", re.I
)


def _sentences(text: str) -> Iterator[str]:
    text = _numbers_out(without_unit_stops(text))
    text = _MINUTES_AGAIN.sub(r"\1\2 minutes", text)
    text = _SO_MANY_MORE.sub(r"\1 minutes more", text) if re.search(r"\bmin", text, re.I) else text
    text = _AFTER_MINUTES.sub(lambda m: f"{m[1]}\n" if verb_of(m[2]) else m[0], text)
    text = _TIME_AND_WAIT.sub(r"\n\1\n", text)
    for sentence in _END.split(text):
        if sentence and sentence.strip():
            yield sentence.strip()


# "knead, 1 hr rise, knock back": told in notes.
_TIME_AND_WAIT = re.compile(
    r",\s*(?:then\s+)?(\d[\d½¼.–-]*\s*(?:mins?|hrs?|hours?|h)\b\.?\s+(?:rise|prove|proof|rest|chill|fridge|freezer))\s*(?:[,.;]\s*|$)",
    re.I,
)
_NUMBER_INSIDE = re.compile(
    r"(?:^|(?<=[.!?;])\s+)\(?(\d{1,2})\s*[.):>]*\s+(?=[A-Z\d])(?!\s*\d+\s*(?:g|ml|tbsp|tsp|cups?)\b)"
)


def _numbers_out(text: str) -> str:
    """Return a line that numbers its own sentences without the numbers: "1 Heat the oven. 2 Boil the oranges.", "(1) Heat"."""
    numbers = [int(found[1]) for found in _NUMBER_INSIDE.finditer(text)]
    is_counted = len(numbers) > 1 and all(b == a + 1 for a, b in pairwise(numbers))
    return _NUMBER_INSIDE.sub("\n", text) if is_counted else text


def _does(text: str) -> bool:
    """Return whether a sentence does something: a verb among its first words or a time, or how the thing is stored."""
    if durations(text) or _STORES.match(text):
        return True
    if _IN_IT_GOES.fullmatch(text):
        return True
    words = re.findall(r"[^\W\d_]+", text)
    return any(verb_of(word) for word in words[:6]) or bool(re.search(r"\boven\b|°", text, re.I))


# "Jam in.", "Strips on top."
_IN_IT_GOES = re.compile(r"\W*(?:the\s+)?[^\W\d_]{3,}(?:\s+(?:and|&)\s+[^\W\d_]{3,})?\s+(?:in|on|over|on top)\W*", re.I)
_STORES = re.compile(r"\W*store\b[^.;]*\bup to\b", re.I)


def _waits_apart(sentence: str) -> list[str]:
    """Return a sentence in parts, so that none waits twice and a wait comes last where something else is done before."""
    parts = [sentence]
    for _ in range(6):
        last = parts[-1]
        cut = _cut(last)
        if cut is None:
            break
        parts[-1:] = [last[: cut[0]], last[cut[1] :]]
    return parts


def _cut(text: str) -> tuple[int, int] | None:
    for found in _BEFORE_A_WAIT.finditer(text):
        if _is_open(text, found.start()) or not re.search(r"[^\W\d_]{3,}", text[: found.start()]):
            continue
        left, right = text[: found.start()], text[found.end() :]
        if re.match(
            r"\W*(?:then\s+)?(?:reduce|lower|increase|turn\s+(?:\w+\s+){0,2}(?:down|up|off))\b", left, re.I
        ) or _is_setting_only(right):
            continue
        if (
            _LEAVE_IN.match(right)
            and not durations(right)
            and not re.search(r"\b(?:cool|cold|set|overnight|rest|rise)\b", right)
        ):
            continue
        if (
            re.match(r"\s*and\s+cool\b|,?\s*cool\b", text[found.start() :], re.I)
            and not durations(right)
            and re.match(r"\w+ed\b|melted", left.split()[-1])
        ):
            continue
        return found.start(), found.end()
    if (again := _HEAT_AGAIN.search(text)) and durations(text[: again.start()]) and durations(text[again.end() :]):
        return again.start(), again.end()
    spans = durations(text)
    after = _AFTER_A_WAIT.search(text, spans[0].end) if spans else None
    if after is not None:
        right = text[after.end() :]
        word = re.match(r"[^\W\d_]+", right)
        is_wait = re.search(rf"\b{_WAITING}\w*\b|oven|freez|chill|simmer|soak|\brise\b", text[: spans[0].start], re.I)
        if (
            word
            and is_wait
            and verb_of(word[0])
            and not re.match(r"(?:until|till|or)\b", right, re.I)
            and not word[0].lower().endswith("ing")
        ):
            return after.start(), after.end()
    return None


# "Bake at 200 C for 10 minutes, then 180 C for another 30", "then 5 minutes without"
_HEAT_AGAIN = re.compile(
    r",?\s*(?:and\s+)?then\s+(?=(?:at\s+|(?:turn\s+|turned\s+)?down\s+to\s+)?(?:\d{3}\s*(?:°|º)?\s*[CF]?\b|\d{1,2}\s*min))",
    re.I,
)


def _is_setting_only(text: str) -> bool:
    """Return whether a part lowers a heat under a pan, where no oven is meant: "reduce the heat"."""
    return bool(re.match(r"\W*(?:reduce|lower|turn)\b", text, re.I)) and not re.match(
        r"\W*(?:reduce|lower|turn)\b[^.;]{0,40}(?:\d{3}|oven|gas)", text, re.I
    )


def _is_open(text: str, at: int) -> bool:
    return text.count("(", 0, at) > text.count(")", 0, at)
