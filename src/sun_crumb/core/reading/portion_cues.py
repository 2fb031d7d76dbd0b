"""What words of portions say anywhere in a text: the counts behind "serves", "makes" and "cut into"."""

from __future__ import annotations

import re
from dataclasses import dataclass, replace

from sun_crumb.core.quantities.nouns import plural, singular
from sun_crumb.core.reading.counts import (
    MEASURE_AFTER,
    MOST,
    NUMBER,
    OF_A_SIZE,
    Count,
    counting_words,
    kind_of,
    read_count,
    skip,
    value_of,
)
from sun_crumb.core.reading.plainly import counts_plainly

# What introduces a number of portions, and how strong it is: *sure* takes a bare number, *made* a number with or without a noun.
_CUES = (
    (
        "sure",
        r"\b(?:serv(?:es|e|ings?)(?:\s+per\s+(?:batch|recipe|tin|pan|tray|loaf|cake))?(?!\s+(?:size|per)\b)(?!\s+(?:with|at|warm|cold|in\b|immediately|hot|chilled|straight))|feeds?|who\s+for\s*:|how\s+many(?:\s+does\s+it\s+(?:make|serve))?\s*[:?]|for\s+(?:how\s+many|whom?)\s*[:?]|batch(?:\s+size)?\s*:|dos[ei]s?(?:\s+(?:per|for)|(?=\s*:))|does\s+(?=(?:about\s+)?[\w–-]+\s+(?:of us|people)\b)|(?<![a-z] )does\s+(?=(?:about\s+)?\d{1,2}(?:\s?[-–]\s?\d{1,2})?\s*(?:[.!,]|w/|with\b|or\s+\d|x{1,4}\b|$))|portions?|helpings?|enough\s+(?:for|to\s+(?:serve|feed))|genug\s+für|good\s+for(?=\s+\d{1,2}\s*(?:$|[,.;]|people\b|persons\b|servings\b))|(?:dough|batter|mixture|recipe|quantity|amounts?)\s+for(?=\s+(?:about\s+|approx\.?\s+|around\s+)?\d)(?!\s+\d\s+(?:crusts?|cases?|shells?))|sufficient\s+for|"
        r"for\s+a\s+(?:crowd|party|group|table|buffet|gathering)\s+of|(?:dinner|supper|lunch|party)\s+for(?=\s+\d)|(?:number|no\.?)\s+of\s+(?:servings|portions|people)|serve\s+(?:it\s+)?(?:straight away|at once|immediately|warm|cold|hot|chilled)?\s*to(?=\s+(?:about\s+)?\d)|servings?(?!\s+size)|for\s+(?=(?:about\s+)?[\w–-]+(?:\s+(?:to|or)\s+\w+)?\s+(?:people|persons?|guests?|servings?|portions?|eaters|hungry|greedy)\b)|(?:pour|für|fuer|per|para|por|för|til|voor|ergibt|rinde|ergeben|donne|dla)\s*:?\s+(?=\d+\s*(?:(?:[-–]|à|a|bis|till|til|tot|o|ou|oder)\s*\d+\s*)?(?:person\w*|pers|porci\w+|portion\w*|porzion\w+|porties|st[uü]ck\w*|stykker|bitar|parts|pezzi|piezas|unidades|uds|unit[àé]s?|sztuk|kekse|plätzchen|galletas|biscuits|biscotti|crêpes|muffins|osoby|os[oó]b|flaneras?|vasitos?|copas|tarritos|verrines|ramequins|gläser|förmchen|coppette|bicchieri)\b))",
    ),
    (
        "made",
        r"\b(?:makes?|(?<=\bit )(?:does|will do)(?=\s+(?:about\s+)?\d)|rende|rinde|resa(?=\s*:)|rendimento(?=\s*:)|ergibt|salen(?:\s+unos)?|mak(?:ing)|bakes(?=\s+(?:about|around|roughly|\d{1,2}\s+[^\W\d_]{3}))|fed(?=\s+\d{1,2}\b)|yields?|yielding|gives?|produces?|quantity|(?:menge|antal|anzahl|aantal|quantité|cantidad|quantità|quantidade)(?=\s*:)|qty(?=\s*[:=])|amount(?=\s*:)|turns?\s+out|(?:i|we|you)(?:[’']ll)?\s+(?:(?:usually|normally|always|mostly|often|should|can)\s+)?(?:get|got|cut)(?=\s+[^.;]{1,20}\s+(?:out\s+of|from)\s+(?:it|this|the)\b|\s+(?:about\s+)?\d{1,3}(?:-?ish|\s+or\s+so)?\s*(?:[).!;,]|$)|\s+(?:about\s+)?[\w-]+\s+(?:\w+\s+)?(?:slices|pieces|portions|squares|bars|servings|biscuits|cookies|muffins|buns)\b)|and\s+get(?=\s+(?:about\s+)?\d{1,3}\s*[).!]*\s*$)|comes?\s+to|bakes?\s+up\s+(?:to|into)|(?<![a-z] )cuts(?=\s+(?:about\s+)?\d{1,3}(?:\s?[-–]\s?\d{1,3})?\s*(?:$|[).,;]|[a-z]*\s*(?:slices|pieces|squares|bars|portions|fingers)\b)))\b",
    ),
    (
        "cut",
        r"\b(?:cuts?|cutting|slices?|slicing|portions?|divides?|divided|dividing|snap(?:ped)?|break|broken)\s+(?:it\s+|them\s+|mine\s+|up\s+|this\s+|nicely\s+|neatly\s+|easily\s+|out\s+)*(?:into|in)\b",
    ),
)
_CUE = re.compile("|".join(f"(?P<{name}>{pattern})" for name, pattern in _CUES), re.I)
# What may stand between a cue and its number.
_BETWEEN = re.compile(
    r"^\s*(?:[:=\-–—|]|\.{2,}|…|is|are|up|out|you|of)?\s*(?:(?:a lot|lots|many|plenty|a crowd|loads)\W+(?:let[’']?s say|say|about|i[’']?d say|maybe|perhaps|of people)[\s,]+)?(?:an?\s+(?:batch|lot|total)\s+of\s+|an?\s+(?:crowd|party|family|group)\s*[(,:]\s*)?",
    re.I,
)
# "Bars: 16 | Pan: 8x8": the noun in front of its number.
_NOUN_FIRST = re.compile(r"(?:^|[|·•;,(]|\d\.)\s*([^\W\d_]+)\s*[:=]\s*(?=[\d~])")
_JOIN = re.compile(
    r"^(?:\s*(?:[,;(\[/=–—-]|(?:or|and|i\.e\.|that is|of|in(?:to)?|cut\s+in(?:to)?|cuts\s+in(?:to)?|sliced\s+in(?:to)?|each|which|serves|makes|gives|enough\s+for)\b))+\s*",
    re.I,
)


@dataclass(frozen=True, slots=True)
class Stated:
    """What one place of the text says of portions: a count, what it is cut from, how far it can be trusted (0 to 1), and the line or sentence around it."""

    count: Count | None
    whole: str
    trust: float
    text: str
    within: str = ""


# "makes 9, or 16 dinky ones"
_OR_LITTLE_ONES = re.compile(
    r"\b(\d{1,2}(?:\s+[a-z]+)?),?\s+or\s+(?:about\s+)?\d{1,2}\s+(?:dinky|little|small|smaller|mini|tiny|bite-?sized?|baby)(?:\s+ones?)?\b",
    re.I,
)


def statements(text: str, *, base: float = 1.0) -> list[Stated]:
    """Return what a line or sentence says of portions; *base* is how far its place in the recipe is trusted."""
    found = []
    text = counts_plainly(text)
    text = _OR_LITTLE_ONES.sub(r"\1", WHOLES_THEN_EACH.sub(r"\1, \2 each", text))
    text = _OR_ABROAD.sub(" or ", _OF_A_TIN.sub(r"\1 ", text))
    text = _OR_MORE.sub(r"\1 \2-\3", _FOR_ANOTHER.sub("", _HYPHENED.sub(": ", text)))
    text = _TWO_APPETITES.sub(r"\1 people or \2 people", _BAKERS_DOZEN.sub("13", text))
    for cue in _CUE.finditer(text):
        kind = cue.lastgroup or ""
        start, (counts, end) = cue.start(), counts_after(text, cue.end())
        if kind == "sure" and not counts and (before := _count_before(text, cue.start(), cue[0])):
            counts, start, end = [before[0]], before[1], cue.end()
        if counts and counts[0].low == 1 and re.match(r"serving\s*:", text[cue.start() :], re.I):
            continue  # "Serving: 1 slice | 312 kcal": what a label is about
        if counts and (stated := of_counts(kind, counts, _closed(text[start:end].strip(" ,;([")), base)):
            found.append(stated)
    if (grid := _CUT_BY.search(text)) and 1 < (many := int(grid[1]) * int(grid[2])) <= MOST:
        # "I cut it 6 by 6"
        found.append(Stated(Count(many, many, "piece", "piece", grid.end()), "", 0.9 * base, grid[0].strip()))
    if (eaters := WAYS.search(text) or _SO_MANY_OF_US.search(text)) and (count := read_count(eaters[1] or eaters[2])):
        found.append(Stated(replace(count, kind="person", noun="serving"), "", 0.9 * base, eaters[0]))
    if (sum_of := _COMES_TO.search(text)) and (count := read_count(text, sum_of.end())) and count.kind == "piece":
        found.append(Stated(count, "", 0.9 * base, text[sum_of.start() : count.end].strip()))
    for named in _NOUN_FIRST.finditer(text):
        noun = named[1].lower()
        if (
            not _CUE.fullmatch(noun)
            and kind_of(noun) in ("piece", "person")
            and (count := read_count(text, named.end()))
        ):
            counted = replace(count, noun=singular(noun), kind=kind_of(noun))
            found.append(Stated(counted, "", base, text[named.start(1) : count.end].strip()))
    return _for_eaters(found)


def _for_eaters(found: list[Stated]) -> list[Stated]:
    """Return statements without the one whole that others say how many eat: "one large pavlova, for eight to ten people"."""
    eaters = [s for s in found if s.count and (s.count.kind == "person" or _SERVES.match(s.text)) and s.count.low > 1]
    found = [s for s in found if not (eaters and s.count and s.count.kind == "piece" and s.count.low == 1)]
    # "Makes about 10 pancakes (serves 3)": who eats, before what they eat.
    return [*eaters, *(s for s in found if s not in eaters)]


_SERVES = re.compile(r"serves|feeds", re.I)
# "Two 8½ x 4½ loaves": how large the tin is
_OF_A_TIN = re.compile(
    r"\b(two|three|four|six|[2-9])\s+\d{1,2}[½¼¾]?\s*(?:x|×|by)\s*\d{1,2}[½¼¾]?\s*-?(?:inch|in|cm|\"|″)?\s+(?=loaves\b|loaf\b|cakes?\b|tins?\b|pans?\b)",
    re.I,
)
# "2 loaves. Each 10 slices."
WHOLES_THEN_EACH = re.compile(
    r"\b(\d+\s+(?:loaves|cakes|tins|pans|trays|tarts|pies))[.;]\s+each\s+(\d+\s+[^\W\d_]+)", re.I
)
# "1 Haus oder ca. 45 Kekse"
_OR_ABROAD = re.compile(r"\s(?:oder|ou|oppure|eller)\s(?:ca\.?\s|env\.?\s|circa\s)?(?=\d)", re.I)
# "serves 4 hungry or 6 polite"
_TWO_APPETITES = re.compile(
    r"\b(\d{1,2})\s+(?:very\s+)?(?:hungry|greedy|polite|dainty|normal)(?:\s+(?:people|ones))?\s*(?:,\s*|or\s+|/\s*)+(\d{1,2})\s+(?:very\s+|less\s+)?(?:hungry|greedy|polite|dainty|normal)(?:\s+(?:people|ones))?\b",
    re.I,
)
# "You can double it for 30 people": another batch than this one
_FOR_ANOTHER = re.compile(
    r"\b(?:doubl|tripl|quadrupl|halv|scal|multipl)\w*\b[^.;\d]{0,24}\b(?:for|to\s+(?:serve|feed|make))\s+[\w-]+(?:\s+[^\W\d_]+)?",
    re.I,
)
# "Servings-5"
_HYPHENED = re.compile(r"(?<=[a-z]{3})[-–—](?=\d)")
# "serves 8/10"
_OR_MORE = re.compile(
    r"\b(serves|feeds|makes|cuts(?: in)?(?:to)?)\s+(\d{1,2})\s?/\s?(\d{1,2})(?![\d/]|\s*(?:inch|in\b|cm|\"|min|hr|hours?|h\b))",
    re.I,
)
_BAKERS_DOZEN = re.compile(r"\b(?:a\s+)?baker[’']?s['’]?\s+dozen\b", re.I)
# "Six of us finish it.", "Twelve people, fifteen with ice cream."
_EATERS = r"(\d{1,2}|two|three|four|five|six|seven|eight|ten|twelve)"
_SO_MANY_OF_US = re.compile(
    rf"\b{_EATERS} (?:of us|(?:greedy|hungry|polite) people)\b|(?:^|(?<=[.;]\s)){_EATERS} people\b", re.I
)
# "Cut 8 ways."
WAYS = re.compile(r"\b(?:cuts?|slice|divide|split)\s+(?:it\s+)?(\d{1,2}|four|six|eight|ten|twelve)\s+ways\b", re.I)
_CUT_BY = re.compile(
    r"\b(?:cuts?\s+(?:(?:it|them|mine|this|in|into)\s+){1,2}|(?:score|mark)\s+(?:(?:it|in|into)\s+){0,2})(\d{1,2})\s*(?:x|×|by)\s*(\d{1,2})(?!\s*-?(?:cm|mm|inch|in\b|\"|″))\b",
    re.I,
)


# "scaled at 55 g = 29 pcs"
_COMES_TO = re.compile(r"(?<=\bg )=|(?<=\dg )=|(?<=g\b)=", re.I)


def _closed(text: str) -> str:
    """Return words as they stand in the text, with the bracket closed that they open."""
    return f"{text})" if text.count("(") > text.count(")") else text


# A number in front of its noun begins so near to it [characters].
NEAR = 60


def _count_before(text: str, start: int, cue: str) -> tuple[Count, int] | None:
    """Return the number in front of a noun that is a cue itself, and where it stands: "12 servings"."""
    if not re.match(r"(?:serves|servings?|portions?|helpings?)$", cue, re.I):
        return None
    numbers = list(NUMBER.finditer(text, max(0, start - NEAR), start))
    if not numbers or text[numbers[-1].end() : start].strip(" -").lower() not in {"", *counting_words("small")}:
        return None
    low, high = value_of(numbers[-1])
    count = Count(low, max(low, high), "serving", "person", start)
    return (count, numbers[-1].start()) if 1 <= low <= MOST else None


def counts_after(text: str, at: int, *, is_bare: bool = False) -> tuple[list[Count], int]:
    """Return the counts that follow a cue: "one 10-inch cake (14 portions)"."""
    counts: list[Count] = []
    at += _BETWEEN.match(text[at:]).end()  # type: ignore[union-attr]
    for _ in range(3):
        measured = _measured(text, at)
        if measured:
            at = measured
        elif count := read_count(text, at, is_bare=is_bare and not counts):
            if _OF_ONE.match(text, count.end):
                # "8 (2 scoops each)": what one portion is; "2 stollens, 15 slices each": thirty of them.
                if counts and _is_cut(counts[-1], count):
                    many = counts[-1].low
                    counts[-1] = replace(counts[-1], kind="whole")
                    noun = count.noun or "piece"
                    counts.append(Count(many * count.low, many * count.high, noun, "piece", count.end))
                    at = count.end
                break
            counts = _with(counts, count, text[:at])
            unknown = _OR_SO_MANY.match(text, count.end) if not count.kind and count.low == 1 else None
            at = unknown.end() if unknown else count.end
        else:
            break
        join = _JOIN.match(text[at:])
        if not join or (counts and counts[-1].low > 1 and not counts[-1].kind and _OR_SMALLER.match(text, at)):
            break
        is_of_each = re.search(r"\beach\s+(?:serves|feeds|cuts)\b", join[0], re.I) is not None
        is_of_wholes = (
            bool(counts) and counts[-1].kind == "whole" and re.search(r"\b(?:of|each)\b", join[0]) is not None
        )
        if counts and counts[-1].low > 1 and (is_of_each or is_of_wholes):
            each = read_count(text, at + join.end())
            if each and (each.kind in ("piece", "person") or is_of_each):
                # "2 trays of 12 cookies", "2 loaves, each 12 slices"
                many = counts[-1].low
                all_of_them = Count(many * each.low, many * each.high, each.noun, each.kind or "person", each.end)
                counts = [replace(counts[-1], kind="whole"), all_of_them]
                at = each.end
                break
        is_full_of = len(counts) == 1 and counts[0].kind == "whole" and counts[0].low == 1
        if is_full_of and re.fullmatch(r"\s*of\s*", join[0]) and (each := read_count(text, at + join.end())):
            # "a tray of 12"
            counts = [counts[0], replace(each, kind=each.kind or "piece", noun=each.noun or "piece")]
            at = each.end
            break
        at += join.end()
    return counts, at


def _is_cut(last: Count, each: Count) -> bool:
    """Return whether so many of each are cut from what was counted last: "2 trays (20 each)", "2 rolls, 12 slices each", but not "8 (2 scoops each)"."""
    if last.kind == "whole":
        return each.kind in ("piece", "")
    is_few = last.kind == "piece" and last.low <= MOST_CUT < each.low
    return each.kind == "piece" and (last.kind in ("thing", "other") or is_few)


# So many rolls or tarts at most are cut into slices that are told [1] (judgement).
MOST_CUT = 4
# "makes 12 (or 24 minis)": so many smaller ones instead.
_OR_SMALLER = re.compile(
    r"\s*\(?\s*or\s+(?:about\s+)?\d{1,3}\s+(?:minis?|small|little|tiny|bite-?size\w*|half)\b", re.I
)
# "2 loaves (12 slices each)": each of what was counted before.
EACH_ONE = re.compile(r"^\s*(?:each|apiece|(?:per|a)\s+(?:loaf|cake|tin|tray|pan|batch|log|roll|slab))\b", re.I)
_OF_ONE = re.compile(r"\s*(?:each|apiece|per\b|a\s+head)\b", re.I)


def _with(counts: list[Count], count: Count, before: str) -> list[Count]:
    """Return counts with one more, or with the last one up to it: "4 hungry children or 6 polite adults"."""
    last = counts[-1] if counts else None
    if last is not None and last.kind == count.kind == "person" and re.search(r"\bor\s*$", before, re.I):
        low, high = min(last.low, count.low), max(last.high, count.high)
        return [*counts[:-1], replace(last, low=low, high=high, end=count.end)]
    return [*counts, count]


# "1 house (or 30 biscuits)"
_OR_SO_MANY = re.compile(r"\s+[^\W\d_]+(?=\s*\(?\s*or\s+(?:about\s+)?\d)", re.I)
# "1 9x13 pan": one of a size.
_A_TIN_OF = re.compile(r"(?:1|one|a)\s+\d{1,2}(?=\s*(?:x|×|by)\s*\d)", re.I)


def _measured(text: str, at: int) -> int:
    """Return where a quantity that is no number of portions ends ("about 350 ml", "a 20 cm"), or 0."""
    at = skip(text, at, counting_words("about") | {"a", "an"})
    if (some := NUMBER.match(text, at)) and OF_A_SIZE.match(text, some.end()):
        return 0
    found = _A_TIN_OF.match(text, at) or re.compile(r"\d+(?:[.,]\d+)?").match(text, at)
    if not found:
        return 0
    unit = MEASURE_AFTER.match(text[found.end() :])
    if not unit:
        return 0
    end = found.end() + unit.end()
    noun = re.compile(r"\s*([^\W\d_]+)").match(text, end)
    return noun.end() if noun and kind_of(noun[1].lower()) == "whole" else end


def of_counts(kind: str, counts: list[Count], text: str, base: float) -> Stated | None:
    pieces = [c for c in counts if c.kind in ("piece", "person")]
    wholes = [c for c in counts if c.kind == "whole"]
    others = [c for c in counts if c.kind == "other"]
    bare = [c for c in counts if not c.kind]
    whole = f"{wholes[0].low} {plural(wholes[0].noun, wholes[0].low)}" if wholes else ""
    if not pieces and any(c.kind == "thing" for c in counts):
        return Stated(None, whole, base, text) if whole else None
    if kind == "sure" and not counts[0].kind:
        # "serves 3 (9 pancakes)": who eats, before what they eat.
        return Stated(counts[0], whole, base, text)
    if len(pieces) > 1 and pieces[0].low == 1 < pieces[1].low:
        return Stated(pieces[1], whole or f"1 {pieces[0].noun}", base, text)  # "one 20 cm round, 24 slices"
    if pieces:
        return Stated(pieces[0], whole, base, text)
    if others and kind != "cut":
        return Stated(others[0], whole, base, text)
    if bare and kind == "sure":
        return Stated(bare[0], whole, base, text)
    if bare and not wholes:
        # "cut into 20" and "makes 12" tell a number, whatever it is of.
        return Stated(bare[0], whole, base if bare[0].low >= 2 else 0.0, text)
    if bare and kind == "cut":
        return Stated(bare[0], whole, base, text)
    return Stated(None, whole, base, text) if wholes else None
