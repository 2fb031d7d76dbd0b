"""What a step waits for, which oven it needs, what the thing itself reaches, until when, with what, and how long it keeps the cook."""

from __future__ import annotations

import re
from collections.abc import Sequence
from functools import cache
from typing import cast

from sun_crumb.core.method.records import Reached, Wait, WaitKind
from sun_crumb.core.method.sentences import verb_of, verbs
from sun_crumb.core.reading.durations import Duration, durations
from sun_crumb.core.reading.oven_heat import read_oven
from sun_crumb.core.reference import table

# A fan oven's dial stands so much lower for the same bake [°C] (common practice).
FAN_C = 20.0
_COOLS = re.compile(r"\b(?:tins?|pans?|trays?|rack|oven|door|sheet|mould)\b", re.I)
_KEPT = re.compile(
    r"\W*(?:(?:it|they|these|this|the \w+)\s+)?(?:stores?|keeps?|will keep|can be (?:stored|kept|frozen)|freezes? well)\b(?!\s+(?:stirring|whisking|beating|warm|going|an eye|in a warm))",
    re.I,
)
_FREEZES = re.compile(r"\W*(?:then\s+)?freeze\b[^.;]*\bevery\b", re.I)
_OUT = re.compile(
    r"\b(?:take|remove|bring|lift|transfer|move)\w*\b.{0,50}\b(?:freezer|fridge)\b|^\W*take (?:it |them )?out\b",
    re.I,
)
_THINGS = (
    ("syrup", r"\b(?:syrup|sugar|caramel|soft[- ]ball|hard[- ]ball|crack|thread|boil)"),
    ("oil", r"\b(?:oil|fry\w*|deep)"),
    ("custard", r"\b(?:custard|coats? (?:the back|(?:a|the|your) (?:\w+ )?spoon)|milk|cream|anglaise|egg)"),
    ("chocolate", r"\bchocolate|\btemper(?!ature)"),
    ("water", r"\bwater\b"),
    ("centre", r"\b(?:centre|center|internal|core|middle|crumb|probe|inside)\b"),
)
# "Oven off, door ajar 1 h"
_OVEN_OFF = re.compile(r"\boven off\b|\b(?:turn|switch)\w*\s+(?:the\s+)?(?:oven\s+)?off\b|\bdoor (?:ajar|open)\b", re.I)
_BEFORE = re.compile(r"^\s*before\b", re.I)
_OF_A_LIQUID = re.compile(
    r"\b(?:boiling|boiled|simmering|cold|hot|cool|iced?|warm)(?=\s+(?:water|milk|cream|tea|juice|place|syrup|liquid)\b)"
    r"|\bbaking(?=[- ]+(?:sheets?|trays?|tins?|pans?|dish|paper|parchment|powder|soda|beans)\b)|\boven(?=[- ]*(?:proof|gloves?|safe))",
    re.I,
)
_DEGREES = re.compile(r"(?P<value>\d{2,3})\s*(?:°|º|degrees?)?\s*(?P<unit>[CF])\b", re.I)
_UNTIL = re.compile(
    r"\b(?:until|till|or until)\s+(?P<what>.+?)(?=[.;]|,?\s+then\b|,?\s*(?:and\s+)?(?:then|gradually|add|stir|flip|turn|remove|fold|whisk|beat|pour|pass|sieve)\b(?!\s+out)|,\s*(?:about|around|\d)|\s*\(|$)",
    re.I,
)


_COOKED_TO = re.compile(r"\b(?:cook|heat|bring|warm)\w*\b[^.;]{0,20}\b(?:to|at)\s*$", re.I)
_COOKED_IN_THE_OVEN = re.compile(r"\W*cook\b(?!.*\b(?:pan|hob|stove|heat|stirring|simmer\w*|boil\w*|steam\w*)\b)", re.I)
_ON_THE_HEAT = re.compile(
    r"\b(?:low|gentle|medium|high)\s+heat\b|\bback in the (?:sauce)?pan\b|\bon the (?:hob|stove)\b|\b(?:lidded|covered|sauce|frying)[- ]?pan\b",
    re.I,
)
_IN_A_PAN = re.compile(
    r"\W*(?:[^.;]*,\s*)?(?:roast|toast)\b(?!.*(?:\boven\b|\bbak|\d{3}|\bgas\b|\btray\b|\bsheet\b|\bnuts?\b|\bhazelnuts|\bpecans|\balmonds))",
    re.I | re.S,
)
# How far behind a time its place may stand [characters].
NEAR_BY = 30
_GOES_ON_BAKING = re.compile(
    r"\W*cook\s+(?:for\s+)?(?:(?:another|a further)\s+[\d-]+\s*(?:minutes?|mins?)|[\d-]+\s*(?:minutes?|mins?)\.?\s+(?:more|longer|further)|[\d-]+\s+more\s+min\w*)\W*$",
    re.I,
)
# Shorter than this something is cooked in a pan [min] (judgement).
LEAST_BAKED = 15
# Below this nothing is a syrup [°C].
LEAST_BOILED_C = 100.0


@cache
def _wait_words() -> tuple[tuple[str, re.Pattern[str]], ...]:
    return tuple((row["kind"], re.compile(rf"\b(?:{row['words']})\b", re.I)) for row in table("wait_words"))


@cache
def _tools() -> tuple[tuple[str, re.Pattern[str]], ...]:
    return tuple((row["key"], re.compile(rf"\b(?:{row['words']})\b", re.I)) for row in table("equipment"))


def wait_of(text: str, before: Wait | None, *, uses: bool, is_hot: bool) -> tuple[Wait | None, tuple[int, int] | None]:
    """Return what a step waits for, and the minutes that it says hands are busy; *before* is the wait of the step before.

    *uses* when the step takes something of the list, *is_hot* when an oven is on and nothing has been baked since.
    """
    hands = None
    if _KEPT.match(text):
        return None, None  # "Store in the fridge up to 4 days": nobody waits for that
    for span in durations(text):
        # "Freeze, beating with a fork every hour, for 4 hours": hands are free in between.
        freezes = _FREEZES.match(text[: span.start])
        kind = "freeze" if freezes else _kind(text, span, before, uses=uses, is_hot=is_hot)
        if kind == "hands":
            hands = (span.low_min, span.high_min)
        elif kind == "bake" and (more := _goes_on(text, span)):
            return Wait("bake", span.low_min + more.low_min, span.high_min + more.high_min), hands
        elif kind:
            return Wait(cast(WaitKind, kind), span.low_min, span.high_min), hands
    return None, hands


def _goes_on(text: str, span: Duration) -> Duration | None:
    """Return the second time of one bake ("15 minutes with beans and 5 minutes without"), None where there is none."""
    rest = text[span.end :]
    return next(
        (d for d in durations(rest) if _AND_THEN.fullmatch(rest[: d.start]) and _MORE.match(rest[d.end :])), None
    )


_AND_THEN = re.compile(
    r"[^.;]{0,30}(?:\b(?:and|then|plus)\s+|,\s+)(?:for\s+)?(?:another\s+|a further\s+|about\s+)*", re.I
)
_MORE = re.compile(r"\s*(?:without|uncovered|more|longer|further)\b", re.I)


def _kind(text: str, span: Duration, before: Wait | None, *, uses: bool, is_hot: bool) -> str:
    """Return what is waited for in a span of time, "hands" where hands are busy in it."""
    if _OUT.search(text):
        return "rest"
    if _OVEN_OFF.search(text[: span.start]):
        return "cool"
    if _is_at_a_heat(text, span):
        return "bake"
    if _BEFORE.search(text[span.end :]) and not any(pattern.search(text[: span.start]) for _, pattern in _wait_words()):
        return "rest"
    # "in boiling water" says how hot it is, and nothing to do.
    text = _OF_A_LIQUID.sub(lambda m: " " * len(m[0]), text)
    if before is not None and before.kind == "bake" and _is_baked_on(text, span):
        return "bake"  # "5 minutes more", "5 minutes without": beans and foil
    if is_hot and re.fullmatch(r"\W*(?:(?:for|about|around|approx\.?|roughly)\W*)*", text[: span.start], re.I):
        return "bake"  # "2 hours, stirring after 30 minutes", where the oven is hot
    said = [(m.start(), kind) for kind, pattern in _wait_words() for m in pattern.finditer(text[: span.start])]
    nearest = _nearest(said, is_on_heat=_ON_THE_HEAT.search(text[: span.start]) is not None)
    if not nearest and _HEAT_BEFORE.search(text[: span.start]):
        return "bake"
    nearest = nearest or _first_behind(text, span) or _unsaid(text, uses=uses, is_hot=is_hot)
    if nearest in ("simmer", "bake"):
        return _in_oven_or_pan(nearest, text, span, before, uses=uses, is_hot=is_hot)
    return _where_it_stands(nearest, text, span, before, uses=uses)


def _nearest(said: Sequence[tuple[int, str]], *, is_on_heat: bool) -> str:
    """Return the kind of the last word for waiting before a span of time; *said* tells each with its place."""
    nearest = max(said, default=(0, ""))[1]
    if nearest == "set" and any(kind == "chill" for _, kind in said):
        return "chill"  # "chill until set, about 3 hours"
    # "Milk and rice on a low heat, 25 mins, stir a lot"
    return nearest or ("simmer" if is_on_heat else "")


def _is_baked_on(text: str, span: Duration) -> bool:
    """Return whether words behind a bake tell more of it."""
    return bool(_GOES_ON_SO.fullmatch(text) or _WITHOUT_BEANS.search(text) or _BACK_IN.fullmatch(text[: span.start]))


def _is_at_a_heat(text: str, span: Duration) -> bool:
    """Return whether an oven's heat stands right before a time or right behind it: "160 °C fan 25 min", "10 min @ 170"."""
    if re.match(r"\s*(?:more\s+|longer\s+)?(?:at|@)\s*(?:1[2-9]\d|2[0-4]\d|3\d\d|4[0-5]\d)\b", text[span.end :]):
        return True
    before = text[: span.start]
    return bool(_AT_THIS_HEAT.search(before) or _HEAT_AND_TIN.match(before)) and not _OF_A_PAN.search(before)


# "180C/160 fan, two 20 cm tins, 25 min"
_HEAT_AND_TIN = re.compile(
    r"^\W*\d{3}\s*(?:°|º)?\s*[CF]?\s*(?:/\s*\d{3}\s*(?:°|º)?\s*C?\s*)?(?:fan)?\s*,\s*[^.;,]{0,24}\b(?:tins?|pans?|trays?|dish|cases)\b\s*,\s*(?:for\s+)?(?:about\s+)?$",
    re.I,
)
_DOUBLES = re.compile(r"[^.;]{0,24}\b(?:until|till)\b[^.;]{0,20}\b(?:doubled|risen|puff(?:y|ed)|well risen)\b", re.I)
# "mix in the oats, 160 °C fan 25 min": an oven's heat right before the time.
_AT_THIS_HEAT = re.compile(
    r"(?<!to )(?:\b(?:1[4-9]\d|2[0-5]\d|3\d\d|4[0-5]\d)\s*(?:°|º|degrees?|deg\b)?\s*[CF]?|\bgas(?:\s+mark)?\s*\d)\s*(?:\(?\s*(?:fan|\d{3}(?:\s*(?:°\s*)?C?\s*fan)?)\s*\)?)?\s*,?\s*(?:for\s+)?(?:about\s+)?$",
    re.I,
)
_OF_A_PAN = re.compile(r"\b(?:fry|fried|oil|syrup|boil|simmer|custard|caramel|sugar syrup|thermometer)", re.I)
_GOES_ON_SO = re.compile(
    r"\W*(?:for\s+)?(?:about\s+|another\s+|a further\s+)?[\d–-]+\s*(?:minutes?|mins?)\.?\s+(?:more|longer|further|without|uncovered)\b[^.;]{0,30}\W*",
    re.I,
)
# "Back in for 35-40 mins"
_BACK_IN = re.compile(r"(?:.*,\s*)?\W*(?:and\s+|then\s+)*back\s+in\s+(?:for\s+)?(?:about\s+|another\s+)?", re.I | re.S)
# "remove the beans, 5 mins more"
_WITHOUT_BEANS = re.compile(
    r"\b(?:beans|foil|weights|paper)\b.*\d\s*(?:min\w*\.?)\s+(?:more|longer|further)\b|\b(?:beans|foil|weights|paper)\b.*\b(?:another|a further)\s+\d",
    re.I,
)
_HEAT_BEFORE = re.compile(
    r"(?:\d{3}\s*(?:°|º)?\s*[CF]?\b|\bgas\s*(?:mark\s*)?\d|\bfan)[\s,:–-]*(?:for\s+)?(?:about\s+)?$", re.I
)


def _first_behind(text: str, span: Duration) -> str:
    """Return the kind of the first word for waiting behind a span of time, or nothing."""
    found = [(m.start(), kind) for kind, pattern in _wait_words() for m in pattern.finditer(text[span.end :])]
    return min(found, default=(0, ""))[1]


def _unsaid(text: str, *, uses: bool, is_hot: bool) -> str:
    """Return what a time is for that no word tells: by water, by a pan on the heat, by an oven that is on, by what goes in."""
    if re.search(r"\bin\s+(?:\w+\s+){0,2}water\b", text, re.I):
        return "soak"
    if _ON_THE_HEAT.search(text):
        return "simmer"  # "3 mins low heat"
    if is_hot:
        return "bake"
    return "hands" if uses else "rest"  # "Butter in bit by bit, another 10 min"


def _in_oven_or_pan(kind: str, text: str, span: Duration, before: Wait | None, *, uses: bool, is_hot: bool) -> str:
    """Return whether what is cooked, or roasted, stands in the oven or in a pan; *kind* where its words tell it."""
    goes_on = before is not None and before.kind == "bake" and not uses and _GOES_ON_BAKING.match(text)
    if kind == "simmer":
        # "Cook for 2 hours", in the oven that is on; "remove the beans and cook for 5 minutes more"
        in_oven = is_hot and span.low_min >= LEAST_BAKED and _COOKED_IN_THE_OVEN.match(text)
        return "bake" if in_oven or goes_on else kind
    if not is_hot and span.high_min <= LEAST_BAKED and _IN_A_PAN.match(text):
        return "simmer"  # "add the ghee, roast 10 mins"
    return _where_it_stands(kind, text, span, before, uses=uses)


def _where_it_stands(kind: str, text: str, span: Duration, before: Wait | None, *, uses: bool) -> str:
    """Return what a wait is where it stands in the cold, or on a rack behind a bake, or is stirred on the heat."""
    cold = re.search(r"\b(?:fridge|freezer)\b", text[span.end : span.end + NEAR_BY])
    if kind == "rest" and _DOUBLES.match(text[span.end :]):
        return "rise"  # "Leave for 1 hour until doubled"
    if kind in ("rest", "set") and cold:
        return "chill" if cold[0] == "fridge" else "freeze"  # "leave 1 hour in the fridge"
    follows = before is not None and before.kind in ("bake", "cool") and not uses
    is_left = re.search(r"\b(?:leave|let|stand|sit|rest|keep)\w*\b", text[: span.start], re.I)
    if kind in ("rest", "set", "bake") and follows and is_left and _COOLS.search(text):
        return "cool"
    is_on_heat = re.search(r"\b(?:simmer|boil|cook|bubbl)\w*", text[: span.start], re.I)
    if kind == "hands" and is_on_heat and re.search(r"\bstirring\b", text, re.I):
        return "simmer"
    return kind


def oven_of(text: str) -> float | None:
    """Return the conventional oven temperature that a step tells [°C], or None."""
    found = read_oven(text)
    if found is None or (
        reached_in(text) is not None and not re.search(r"\boven\b|\bbak(?:e|ing)\b|\broast|gas\b|fan\b", text, re.I)
    ):
        return None
    return found.temperature_c + (FAN_C if found.is_fan else 0.0)


def reached_in(text: str) -> Reached | None:
    """Return the temperature that the thing itself is to reach [°C], or None where only an oven's is told."""
    for found in _DEGREES.finditer(text):
        value = float(found["value"])
        celsius = value if found["unit"].upper() == "C" else (value - 32) / 1.8
        before, after = text[: found.start()], text[found.end() :]
        if re.search(
            r"\b(?:oven|bake|baking|roast|preheat\w*|heat (?:the )?oven)\b[^.;]{0,40}$", before, re.I
        ) and not re.search(r"\b(?:syrup|oil|thermometer|centre|center)\b", before, re.I):
            continue
        if re.match(
            r"[^.;]{0,12}\boven\b|\s*(?:fan|/)|\s*,?\s*(?:for\s+)?\d{1,2}\s*(?:(?:-|–|to)\s*\d{1,2}\s*)?min",
            after,
            re.I,
        ):
            continue  # an oven's, for so many minutes
        thing = next((name for name, words in _THINGS if re.search(words, text, re.I)), "")
        if thing == "syrup" and celsius < LEAST_BOILED_C and re.search(r"\b(?:eggs?|yolks?|custard)\b", text, re.I):
            thing = "custard"  # "Whisk the eggs and sugar over a pan of water to 83 °C"
        if not thing and celsius < LEAST_BOILED_C and _COOKED_TO.search(before):
            thing = "custard"  # "return to the pan and cook to 82 °C"
        if thing == "water" and celsius > LEAST_BOILED_C:
            continue  # "water bath, 150 °C": the oven's
        if thing:
            return Reached(thing, round(celsius))
    return None


def until_of(text: str) -> str:
    """Return how a step says that it is done ("a skewer comes out clean"), or an empty string."""
    found = _UNTIL.search(text)
    return found["what"].strip(" ,") if found else ""


def tools_of(text: str) -> tuple[str, ...]:
    """Return the equipment that a step names, by the names of equipment.csv."""
    return tuple(key for key, pattern in _tools() if pattern.search(text))


# What cakes are baked in, and nothing that is done.
_SANDWICH_TINS = re.compile(r"\bsandwich tins?\b", re.I)


def hands_on(text: str, said: tuple[int, int] | None, wait: Wait | None, uses: int) -> tuple[int, int]:
    """Return how long a step keeps the cook [min, from and to]: what it says, else by its verbs (common practice)."""
    words = re.findall(r"[^\W\d_]+", _SANDWICH_TINS.sub("tins", text))
    rows = [verbs()[verb] for word in words if (verb := verb_of(word))]
    does: Sequence[dict[str, str]] = [row for row in rows if row["does"] != "wait"]
    if said is not None:
        others = does[1:3]
        return said[0] + sum(int(r["hands_low"]) for r in others), said[1] + sum(int(r["hands_high"]) for r in others)
    if not does:
        return (1, 2) if wait is None else (1, 1)
    # Weighing what goes in takes time too.
    low = sum(int(row["hands_low"]) for row in does[:4]) + uses // 3
    return low, max(sum(int(row["hands_high"]) for row in does[:4]) + uses // 2, low)
