"""How many a recipe makes: what it is cut into and what it is cut from, told apart from times, weights and keeping.

A number of portions is taken only from words that speak of portions. Where they speak only of what pieces are cut from (a jar,
a loaf), or where the method alone lets it be guessed, it is said to be a guess.
"""

from __future__ import annotations

import re
from collections.abc import Iterable
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
from sun_crumb.core.reading.records import Portions

# What introduces a number of portions, and how strong it is: *sure* takes a bare number, *made* a number with or without a noun.
_CUES = (
    (
        "sure",
        r"\b(?:serv(?:es|e|ings?)(?:\s+per\s+(?:batch|recipe|tin|pan|tray|loaf|cake))?(?!\s+(?:size|per)\b)(?!\s+(?:with|at|warm|cold|in\b|immediately|hot|chilled|straight))|feeds?|dos[ei]s?\s+(?:per|for)|does\s+(?=(?:about\s+)?[\w–-]+\s+(?:of us|people)\b)|(?<![a-z] )does\s+(?=(?:about\s+)?\d{1,2}\s*(?:[.!,]|w/|with\b|$))|portions?|helpings?|enough\s+(?:for|to\s+(?:serve|feed))|sufficient\s+for|"
        r"for\s+a\s+(?:crowd|party|group|table|gathering)\s+of|(?:dinner|supper|lunch|party)\s+for(?=\s+\d)|(?:number|no\.?)\s+of\s+(?:servings|portions|people)|servings?(?!\s+size)|for\s+(?=(?:about\s+)?[\w–-]+(?:\s+(?:to|or)\s+\w+)?\s+(?:people|persons?|guests?|servings?|portions?|eaters|hungry|greedy)\b)|(?:pour|für|fuer|per|para|por|för|til|voor|ergibt|rinde|ergeben|donne|dla)\s+(?=\d+\s*(?:[-–]\s*\d+\s*)?(?:person\w*|pers|porci\w+|portion\w*|porzion\w+|porties|st[uü]ck\w*|stykker|bitar|parts|pezzi|piezas|osoby|os[oó]b)\b))",
    ),
    (
        "made",
        r"\b(?:makes?|(?<=\bit )(?:does|will do)(?=\s+(?:about\s+)?\d)|rende|rinde|ergibt|mak(?:ing)|yields?|yielding|gives?|produces?|quantity|qty(?=\s*[:=])|turns?\s+out|(?:i|we|you)(?:[’']ll)?\s+(?:(?:usually|normally|always|mostly|often|should|can)\s+)?(?:get|got|cut)(?=\s+[^.;]{1,20}\s+(?:out\s+of|from)\s+(?:it|this|the)\b|\s+(?:about\s+)?\d{1,3}\s*[).!]*\s*$|\s+(?:about\s+)?\d{1,3}\s+(?:\w+\s+)?(?:slices|pieces|portions|squares|bars|servings|biscuits|cookies|muffins|buns)\b)|comes?\s+to|bakes?\s+up\s+(?:to|into))\b",
    ),
    (
        "cut",
        r"\b(?:cuts?|cutting|slices?|slicing|portions?|divides?|divided|dividing|snap(?:ped)?|break|broken)\s+(?:it\s+|them\s+|mine\s+|up\s+|this\s+|nicely\s+|neatly\s+|easily\s+|out\s+)*(?:into|in)\b",
    ),
)
_CUE = re.compile("|".join(f"(?P<{name}>{pattern})" for name, pattern in _CUES), re.I)
# What may stand between a cue and its number.
_BETWEEN = re.compile(
    r"^\s*(?:[:=\-–—|]|\.{2,}|…|is|are|up|out|you|of)?\s*(?:an?\s+(?:batch|lot|total)\s+of\s+|an?\s+(?:crowd|party|family|group)\s*[(,:]\s*)?",
    re.I,
)
# "Bars: 16 | Pan: 8x8": the noun in front of its number.
_NOUN_FIRST = re.compile(r"(?:^|[|·•;,(])\s*([^\W\d_]+)\s*[:=]\s*(?=[\d~])")
_JOIN = re.compile(
    r"^(?:\s*(?:[,;(\[/=–—-]|(?:or|and|i\.e\.|that is|of|in(?:to)?|cut\s+in(?:to)?|cuts\s+in(?:to)?|sliced\s+in(?:to)?|each|which|serves|makes|gives|enough\s+for)\b))+\s*",
    re.I,
)


@dataclass(frozen=True, slots=True)
class Stated:
    """What one place of the text says of portions: a count, what it is cut from, and how far it can be trusted (0 to 1)."""

    count: Count | None
    whole: str
    trust: float
    text: str


def statements(text: str, *, base: float = 1.0) -> list[Stated]:
    """Return what a line or sentence says of portions; *base* is how far its place in the recipe is trusted."""
    found = []
    text = _TWO_APPETITES.sub(r"\1 people or \2 people", _BAKERS_DOZEN.sub("13", text))
    for cue in _CUE.finditer(text):
        kind = cue.lastgroup or ""
        start, (counts, end) = cue.start(), _counts_after(text, cue.end())
        if kind == "sure" and not counts and (before := _count_before(text, cue.start(), cue[0])):
            counts, start, end = [before[0]], before[1], cue.end()
        if counts and counts[0].low == 1 and re.match(r"serving\s*:", text[cue.start() :], re.I):
            continue  # "Serving: 1 slice | 312 kcal": what a label is about
        if counts and (stated := _stated(kind, counts, _closed(text[start:end].strip(" ,;([")), base)):
            found.append(stated)
    if (grid := _CUT_BY.search(text)) and 1 < (many := int(grid[1]) * int(grid[2])) <= MOST:
        # "I cut it 6 by 6"
        found.append(Stated(Count(many, many, "piece", "piece", grid.end()), "", 0.9 * base, grid[0].strip()))
    if (eaters := _SO_MANY_OF_US.search(text)) and (count := read_count(eaters[1] or eaters[2])):
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
            found.append(Stated(counted, "", base, text[named.start() : count.end].strip(" |·•;,(")))
    return _for_eaters(found)


def _for_eaters(found: list[Stated]) -> list[Stated]:
    """Return statements without the one whole that others say how many eat: "one large pavlova, for eight to ten people"."""
    eaters = any(s.count and s.count.kind == "person" and s.count.low > 1 for s in found)
    return [s for s in found if not (eaters and s.count and s.count.kind == "piece" and s.count.low == 1)]


# "serves 4 hungry or 6 polite"
_TWO_APPETITES = re.compile(
    r"\b(\d{1,2})\s+(?:very\s+)?(?:hungry|greedy|polite|dainty|normal)(?:\s+(?:people|ones))?\s*(?:,\s*|or\s+|/\s*)+(\d{1,2})\s+(?:very\s+|less\s+)?(?:hungry|greedy|polite|dainty|normal)(?:\s+(?:people|ones))?\b",
    re.I,
)
_BAKERS_DOZEN = re.compile(r"\b(?:a\s+)?baker[’']?s['’]?\s+dozen\b", re.I)
# "Six of us finish it.", "Twelve people, fifteen with ice cream."
_EATERS = r"(\d{1,2}|two|three|four|five|six|seven|eight|ten|twelve)"
_SO_MANY_OF_US = re.compile(rf"\b{_EATERS} of us\b|(?:^|(?<=[.;]\s)){_EATERS} people\b", re.I)
_CUT_BY = re.compile(
    r"\bcuts?\s+(?:(?:it|them|mine|this|in|into)\s+){1,2}(\d{1,2})\s*(?:x|×|by)\s*(\d{1,2})(?!\s*-?(?:cm|mm|inch|in\b|\"|″))\b",
    re.I,
)


# "scaled at 55 g = 29 pcs"
_COMES_TO = re.compile(r"(?<=\bg )=|(?<=\dg )=|(?<=g\b)=", re.I)


def _closed(text: str) -> str:
    """Return words as they stand in the text, with the bracket closed that they open."""
    return f"{text})" if text.count("(") > text.count(")") else text


def _count_before(text: str, start: int, cue: str) -> tuple[Count, int] | None:
    """Return the number in front of a noun that is a cue itself, and where it stands: "12 servings"."""
    if not re.match(r"(?:serves|servings?|portions?|helpings?)$", cue, re.I):
        return None
    numbers = list(NUMBER.finditer(text, 0, start))
    if not numbers or text[numbers[-1].end() : start].strip(" -").lower() not in {"", *counting_words("small")}:
        return None
    low, high = value_of(numbers[-1])
    count = Count(low, max(low, high), "serving", "person", start)
    return (count, numbers[-1].start()) if 1 <= low <= MOST else None


def _counts_after(text: str, at: int, *, is_bare: bool = False) -> tuple[list[Count], int]:
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
                if counts and counts[-1].kind in ("whole", "thing", "other") and count.kind == "piece":
                    many = counts[-1].low
                    counts.append(Count(many * count.low, many * count.high, count.noun, count.kind, count.end))
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
        at += join.end()
    return counts, at


# "makes 12 (or 24 minis)": so many smaller ones instead.
_OR_SMALLER = re.compile(
    r"\s*\(?\s*or\s+(?:about\s+)?\d{1,3}\s+(?:minis?|small|little|tiny|bite-?size\w*|half)\b", re.I
)
# "2 loaves (12 slices each)": each of what was counted before.
_EACH_ONE = re.compile(r"^\s*(?:each|apiece|(?:per|a)\s+(?:loaf|cake|tin|tray|pan|batch|log|roll|slab))\b", re.I)
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


def _stated(kind: str, counts: list[Count], text: str, base: float) -> Stated | None:
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


# "(about 18 large)": a line in brackets, under the name.
_ABOUT_SO_MANY = re.compile(
    r"\s*\(\s*(?:about|approx(?:imately)?\.?|around|roughly|~|circa|ca\.?|(?=(?:[4-9]|\d\d)\s*\)))\s*(\d{1,3})(?:\s+(?:small|medium|large|big|little|mini))?\s*\)\s*",
    re.I,
)
# "6-8 port.", "4 pers."
_SHORT_PEOPLE = re.compile(r"^(\W*\d{1,2}(?:\s*[-–]\s*\d{1,2})?)\s+(?:port|pers|serv|ppl)\.?$", re.I)
# "16 pieces when cold"
_WHEN_COLD = re.compile(r"\s+(?:when|once)\s+(?:it'?s\s+)?(?:cold|cool|cooled|set)\b", re.I)
# "12 slices if you're good, 8 if you're me"
_IF_YOU = re.compile(r"^\s*,?\s*(?:if|unless|depending)\b.*$", re.I)
# "Cake for 10", "Enough for 6"
SUCH_FOR = re.compile(
    r"\W*(?:an?\s+|one\s+)?(?:cake|tart|pie|pudding|dessert|recipe|ingredients|quantities|[a-z ]{0,24}\b(?:mousse|trifle|tiramisu|panna ?cotta|fool|sorbet|ice cream|jelly|posset|custard|cheesecake|crumble|cobbler|pavlova|brûlée))\s+for\s+((?:about\s+)?\d{1,2}(?:\s*(?:-|–|to)\s*\d{1,2})?)\W*",
    re.I,
)
_BARE = re.compile(r"^\W*(?:approx\w*\.?\s*|about\s*)?", re.I)


# "10 slices: 172 kcal, P 15 C 9 F 8"
_LABELLED = re.compile(
    r"^(\W*\d{1,2}\s+(?:slices|servings|portions|pieces|squares|bars|bites|muffins|cookies))\s*[:=@]\s*(?:about\s+)?\d+\s*(?:k?cal|kj)\b.*$",
    re.I,
)


# "12ish slices"
_ISH = re.compile(r"\b(\d{1,3})[ -]?ish\s+(?=[a-z])", re.I)


def bare_count(text: str) -> Stated | None:
    """Return a line that is nothing but a count of portions ("14 wedges", "one 10-inch cake (14 portions)"), or None."""
    text = _IN_ALL.sub("", text)
    told, text = text.strip(), _LABELLED.sub(r"\1", _SHORT_PEOPLE.sub(r"\1 portions", _ISH.sub(r"about \1 ", text)))
    if abroad := _FOR_ABROAD.fullmatch(text):
        return Stated(Count(int(abroad[1]), int(abroad[1]), "serving", "person", 0), "", 0.95, told)  # "Pour 6"
    if (alone := _ABOUT_SO_MANY.fullmatch(text)) and (some := read_count(alone[1])):
        return Stated(some, "", 0.9, text.strip())
    if (such := SUCH_FOR.fullmatch(text)) and (some := read_count(such[1])):
        return Stated(some, "", 0.95, text.strip())
    start = _BARE.match(text).end()  # type: ignore[union-attr]
    counts, end = _counts_after(text, start, is_bare=True)
    behind = _EACH_ONE.sub("", _IF_YOU.sub("", _WHEN_COLD.sub("", text[end:])))
    rest = re.sub(r"[^\w\s]", " ", behind).lower().split()
    if not counts or not set(rest) <= counting_words("about"):
        return None
    if all(c.kind not in ("piece", "person", "whole") for c in counts) and "dozen" not in text.lower():
        return None
    return _stated("bare", counts, told, 1.0)


_IN_ALL = re.compile(r"\s+(?:in all|altogether|all told|in total)\W*$", re.I)
_FOR_ABROAD = re.compile(r"(?:pour|für|fuer|para|por|per|voor|för)\s+([2-9]|[1-3]\d)\W*", re.I)


def said_in(aside: str) -> Stated | None:
    """Return what words beside a title or a heading say of portions: "makes 12", "14 wedges", "for about 40 biscuits"."""
    aside = _SHORT_PEOPLE.sub(r"\1 portions", aside)
    if either := _BIG_OR_LITTLE.fullmatch(aside):
        return Stated(Count(int(either[1]), int(either[2]), "", "", 0), "", 0.9, aside.strip())
    return next(iter(statements(aside)), None) or bare_count(aside) or _for_so_many(aside) or _so_many_alone(aside)


def _for_so_many(aside: str) -> Stated | None:
    """Read "for 4-6 with custard", "for 6 ramekins (150 ml)", "for a tray (24 pieces)"."""
    begins = re.match(r"^\W*for\s+", aside, re.I)
    if begins is None:
        return None
    count = read_count(aside, begins.end())
    if count and count.kind != "whole":
        rest = re.sub(r"^\s*with\b.*$", "", aside[count.end :], flags=re.S)
        rest = re.sub(r"\(\s*\d+\s*(?:ml|cl|g|oz)\s*(?:each)?\s*\)", "", rest)
        if not re.search(r"\w", rest.split(",")[0]):
            return Stated(count, "", 1.0, aside.strip())
    counts, end = _counts_after(aside, begins.end())
    return _stated("made", counts, aside.strip(), 1.0) if counts and not re.search(r"\w", aside[end:]) else None


def _so_many_alone(aside: str) -> Stated | None:
    """Read a number alone, as it stands behind a name: "Oat biscuits — 24", "Doughnuts (about 25 small)"."""
    number = _ABOUT_SO_MANY.fullmatch(f"({aside.strip()})") or _NUMBER_ALONE.fullmatch(aside)
    count = read_count(number[1]) if number else None
    return Stated(count, "", 0.9, aside.strip()) if count else None


# "2 big or 4 little"
_BIG_OR_LITTLE = re.compile(
    r"\W*(\d{1,2})\s+(?:big|large|generous|hearty)\s*(?:or|/)\s*(\d{1,2})\s+(?:little|small|smaller|modest|tiny)(?:\s+ones)?\W*",
    re.I,
)
_NUMBER_ALONE = re.compile(
    r"\W*(?:(?:approx(?:imately)?|about|around|circa|ca|roughly)\b\.?)?\W*([4-9]|[1-9]\d)\W*", re.I
)
_BRACKETED = re.compile(r"[(\[]([^()\[\]]+)[)\]]")
_ASIDE = re.compile(
    r"[(\[]([^()\[\]]+)[)\]]|\s/\s+(\d.*?)$|\s[–—-]{1,3}\s+(.+?)$|\s+[·•|]\s+(.+?)$|\s{2,}(\S.+?)$|\s((?:yields?|makes|serves|servings)\b.+?)$|,\s*(.+?)$|:\s*(.+?)$",
    re.I,
)


def of_title(title: str) -> tuple[str, Stated | None]:
    """Return a title without what it says of portions, and that.

    Examples
    --------
    >>> name, said = of_title("Fig loaf (makes 1 loaf, 10 slices)")
    >>> name, said.count.low, said.whole
    ('Fig loaf', 10, '1 loaf')
    """
    if behind := _behind_the_name(title):
        return behind
    for aside in (*_ASIDE.finditer(title), *_BRACKETED.finditer(title)):
        inside = next(part for part in aside.groups() if part)
        said = said_in(inside) or next((told for part in inside.split(",") if (told := said_in(part))), None)
        if said is not None and (said.count or said.whole):
            rest = f"{title[: aside.start()]} {title[aside.end() :]}"
            return re.sub(r"\s+", " ", rest).strip(" ,:–—-"), said
    if told := next((s for s in statements(title) if s.count and s.count.kind == "person"), None):
        return title, told  # "Profiteroles for 8 people, 4 each"
    if re.search(r"\b(?:single[- ]serv(?:e|ing)|for (?:one|1))\b(?![.\d])", title, re.I):
        return title, Stated(Count(1, 1, "serving", "person", 0), "", 0.9, title)
    if (found := _TIMES.search(title)) and len(title[: found.start()].split()) > 1:
        # "Chia pudding x 2"
        return title[: found.start()], Stated(read_count(found[1]), "", 0.9, found[0].strip())
    if (found := _FOR_SO_MANY.search(title)) and re.search(r"[.!]\s*$", title[: found.start()]):
        # "Rhubarb fool. For 4.": said behind the name.
        return title[: found.start()].strip(" ."), Stated(read_count(found[1]), "", 0.9, found[0].strip(" ."))
    if found:
        # "Apple crumble for two": the name it goes by.
        return title, Stated(read_count(found[1]), "", 0.9, found[0].strip())
    return title, None


def _behind_the_name(title: str) -> tuple[str, Stated] | None:
    """Return a title and what a stroke or a stop divides from it: "Lime pots (no bake) / for 4", "Mocha pots - 8 people", "Malt loaf. 20 slices in all"."""
    stop = re.search(r"(?<!\bca)(?<!\babt)(?<!approx)(?<!\bno)[.!]\s+(?=\d|about\b|makes\b)", title)
    if stop and title.count("(", 0, stop.start()) == title.count(")", 0, stop.start()):
        rest = title[stop.end() :]
        said = [s for part in (*rest.split(","), rest) if (s := said_in(_IN_ALL.sub("", part))) and s.count]
        # The slices rather than the loaves that they are cut from.
        said.sort(key=lambda s: -s.count.low if s.count and s.count.kind == "piece" else 0)
        if said:
            return title[: stop.start()].strip(), said[0]
    if slashed := _FOR_BEHIND.search(title):
        return title[: slashed.start()].strip(), Stated(read_count(slashed[1]), "", 0.95, slashed[0].strip(" /|"))
    if behind := _EATERS_BEHIND.search(title):
        return title[: behind.start()].strip(), Stated(read_count(behind[1]), "", 0.95, behind[1])
    return None


_EATERS_BEHIND = re.compile(r"\s+[-–—|,]+\s+(\d{1,2}\s+(?:people|persons|guests|eaters|servings|portions))\W*$", re.I)
_FOR_BEHIND = re.compile(
    r"\s+[/|–—-]+\s+(?:serves|for|makes)\s+((?:\d{1,2}|two|four|six|eight)(?:\s+(?:people|persons|pieces|pots))?)\W*$",
    re.I,
)
_TIMES = re.compile(r"\s+[x×]\s*([1-9]\d?)$", re.I)
_FOR_SO_MANY = re.compile(
    r"\bfor\s+(?:a\s+(?:crowd|party|group|table)\s+of\s+)?((?:[2-9]|[1-9]\d|two|three|four|five|six|eight|ten|twelve)(?:\s+people)?)\W*(?:\([^()\d]*\)\W*)?$",
    re.I,
)


_SHARED_OUT = re.compile(
    r"\b(?:divide|spoon|pour|share|portion|scoop|ladle|distribute|pipe|split)\w*\b[^.;]{0,60}?\b(?:between|among(?:st)?|into|in)\s+(?P<rest>.{1,60})",
    re.I,
)
_CUT_WHOLE = re.compile(
    r"\b(?:cuts?|slices?|cutting|slicing|divides?|portion|mark|score|snap|break)\s+(?:nicely\s+|neatly\s+|easily\s+|cleanly\s+)?(?:it|them|(?P<named>(?:the\s+)?(?:\w+\s+){0,2}?(?:cake|cakes|traybake|slab|tray|bake|loaf|bread|bars?|tart|pie|block|mixture|cheesecake|brownies?|squares?|fudge|shortbread))\s+)?\s*"
    r"(?:up\s+)?(?:into|in)\s+(?P<rest>.{1,60})",
    re.I,
)
# "Roll up, cut into 12": a dough is cut before it is baked.
_ROLLED = re.compile(
    r"\b(?:roll(?:ed)?(?:\s+it|\s+the\s+\w+)?\s+up|log|sausage|dough|cylinder|spiral|dis[ck]|wedges)\b", re.I
)
# "fill, roll up and cut 12 rolls": the pieces themselves are named.
_CUT_OUT = re.compile(
    r"\b(?:cut|slice|stamp out|cut out)\s+(?P<rest>(?:\d{1,2}|ten|twelve|sixteen|twenty)\s+(?!cm|inch|mm|in\b)\w+.{0,20})",
    re.I,
)
_DROPPED = re.compile(
    r"\b(?:drop|dollop|scoop|spoon|place|put|arrange|make|shape|form|roll|pipe)\w*\s+(?:out\s+)?(?:about\s+|around\s+)?(?P<rest>\d{1,2}\s+(?:\w+\s+)?(?:spoonfuls|mounds|heaps|blobs|dollops|balls|rounds|logs|circles|discs)\b)",
    re.I,
)
# "Cut 6 or 8."
_CUT_EITHER = re.compile(
    r"\bcuts?\s+(?:(?:it|this)\s+)?(?:in(?:to)?\s+)?(\d{1,2})\s*(?:or|-|–|to)\s*\d{1,2}\s*(?:[.;,]|$)", re.I
)
# What each eater has one of: "split into two glasses", "pour into 10 popsicle moulds".
_EACH_HAS_ONE = re.compile(
    r"\b(?:divide|spoon|pour|share|portion|split|ladle|set)\w*\b[^.;]{0,60}?\b(?:between|among(?:st)?|into|in)\s+(?P<rest>(?:\d{1,2}|two|three|four|five|six|eight|ten|twelve)\s+"
    r"(?:\w+\s+)?(?:glass(?:es)?|bowls|ramekins|pots|jars|cups|(?:popsicle|lolly|ice[- ]pop|ice[- ]lolly|kulfi|dariole|pudding)\s+mou?lds))\b",
    re.I,
)
# "Scoop 24."
_SO_MANY = re.compile(
    r"\b(?:scoop|shape|roll|form|drop|pipe|cut|makes?)\s+(?:out\s+)?(?:about\s+|around\s+)?(\d{1,2})\s*(?:[.;,]|$)",
    re.I,
)
# "Slice when cold (12)."
_SO_MANY_ASIDE = re.compile(r"\b(?:cut|slice|portion|mark)s?\b[^.;()\d]{0,40}\((?:about\s+)?(\d{1,2})\)", re.I)
# "Fill 12 cases 3/4 full."
_FILLED = re.compile(r"\bfill\s+(?:about\s+)?(\d{1,2})\s+(?:\w+\s+)?cases\b", re.I)
# A tin with so many holes makes so many, if all is filled.
_HOLES = re.compile(
    r"\b(?P<rest>\d{1,2})[- ](?:hole|cup|cavity|case)s?\s+(?:\w+[- ])?(?:muffin|cupcake|bun|fairy|madeleine|mince pie|tartlet|doughnut|donut|friand)",
    re.I,
)
# "cut into 3 x 5 pieces", "a 4 by 6 grid"
_GRID = re.compile(
    r"\b(?:cut|slice|divide|mark|score)\w*\b[^.;]{0,40}?\b(?:in|into)\s+(?:an?\s+)?(\d{1,2})\s*(?:x|×|by)\s*(\d{1,2})\s*(?!cm|inch|in\b|mm|\")(\w+)",
    re.I,
)
# "cut 5x4 = 20 bars"
_PRODUCT = re.compile(
    r"\b(?:cut|slice|mark|score)\w*\b[^.;\d]{0,30}(\d{1,2})\s*[x×]\s*(\d{1,2})\s*=\s*(\d{1,3})\b", re.I
)
_SHAPED = re.compile(r"\b(?:roll|shape|form|make)\w*\b[^.;]{0,30}?\b(?:into|in)\s+(?P<rest>.{1,50})", re.I)


def _shaped_in_so_many(sentence: str, *, is_late: bool) -> Stated | None:
    """Return how many a grid, a tin's holes or a bare "scoop 24" make."""
    if (
        (grid := _GRID.search(sentence))
        and is_late
        and (grid[3].lower() == "grid" or kind_of(grid[3].lower()) == "piece")
    ):
        many = int(grid[1]) * int(grid[2])
        return Stated(Count(many, many, "piece", "piece", grid.end()), "", 0.85, grid[0].strip())
    if (product := _PRODUCT.search(sentence)) and int(product[1]) * int(product[2]) == int(product[3]):
        return Stated(read_count(product[3]), "", 0.9, product[0].strip())
    if (asided := _SO_MANY_ASIDE.search(sentence)) and is_late:
        return Stated(read_count(asided[1]), "", 0.85, asided[0].strip(" ,;"))
    if (many_of := _SO_MANY.search(sentence)) and (count := read_count(many_of[1])) and count.low >= 4:
        return Stated(count, "", 0.7, many_of[0].strip(" ,;"))
    if filled := _FILLED.search(sentence):
        return Stated(read_count(filled[1]), "", 0.8, filled[0])
    if holes := _HOLES.search(sentence):
        many = int(holes["rest"])
        return Stated(Count(many, many, "piece", "piece", 0), "", 0.35, holes[0]) if many >= 4 else None
    return None


def _for_each_eater(sentence: str) -> Stated | None:
    """Return how many have one each, or how many pieces one may cut: "split into two glasses", "cut 6 or 8"."""
    if (either := _CUT_EITHER.search(sentence)) and (count := read_count(either[1])):
        return Stated(count, "", 0.8, either[0].strip(" .;,"))
    if (each := _EACH_HAS_ONE.search(sentence)) and (count := read_count(_CUPS.sub("bowls", each["rest"]))):
        return Stated(replace(count, noun="serving", kind="person"), "", 0.7, each[0].strip())
    return None


# What is poured into eight of them measures nothing.
_CUPS = re.compile(r"\bcups$", re.I)


def of_step(sentence: str, *, is_late: bool) -> Stated | None:
    """Return what a sentence of the method says of portions: surest where the finished thing is cut or served.

    ``is_late`` for the last part of the method, where the thing itself is cut and not what goes into it.
    """
    said_so = statements(sentence)
    for stated in said_so:
        cue = stated.text.lower()
        if (
            _THEY_MAKE.search(sentence)
            or re.match(
                r"(?:for\s+[\w–-]+(?:\s+(?:to|or)\s+\w+)?\s+(?:people|persons|guests)|serv|feed|enough|makes|yield|sufficient|gives|does|will do|portion|\w+ of us|\w+ people\b|(?:i|we|you)\b|[^\W\d_]+\s*[:=]|\d[\d\s–-]*(?:\w+ )?(?:serving|portion|helping))",
                cue,
            )
        ) and (stated.count and stated.count.kind != "whole"):
            return Stated(stated.count, stated.whole, 0.9, stated.text)
    if (
        re.match(r"for\s", sentence, re.I)
        and (said := said_in(sentence.rstrip(" .")))
        and said.count
        and (said.count.kind or _FOR_ALONE.fullmatch(sentence))
    ):
        return Stated(said.count, said.whole, 0.9, said.text)  # "For about 20 madeleines."
    # "16 squares, nice w custard"
    first = re.match(r"\d{1,3}\s+[^\W\d_]+(?=\s*[,;(])", sentence)
    if (
        (alone := bare_count(sentence) or (bare_count(first[0]) if first else None))
        and alone.count
        and alone.count.kind in ("piece", "person")
    ):
        return Stated(alone.count, alone.whole, 0.9, alone.text)  # "10 bars.", "8 people"
    if (aside := _FOR_PIECES.search(sentence)) and (count := read_count(aside[1])):
        return Stated(count, "", 0.9, aside[0].strip("()"))
    if told := _shaped_in_so_many(sentence, is_late=is_late):
        return told
    if told := _for_each_eater(sentence):
        return told
    if told := _divided(sentence, is_late=is_late):
        return told
    # "Makes three 8 x 4-inch loaves."
    return next(
        (replace(s, trust=0.9) for s in said_so if s.whole and s.text.lower().startswith(("make", "yield"))), None
    )


# "press into a 24 cm tin (for 12 pieces)"
_FOR_PIECES = re.compile(
    r"\((?:for|makes|gives)\s+(?:about\s+)?(\d{1,2}\s+(?:pieces|slices|squares|bars|portions|servings|people))\)", re.I
)
# "They make 24 small ones."
_THEY_MAKE = re.compile(r"\b(?:they|these|it|this)\s+makes?\s+(?:about\s+)?\d", re.I)


def _divided(sentence: str, *, is_late: bool) -> Stated | None:
    """Return into how many pieces a sentence divides what is made, cut, shared or dropped."""
    for pattern, trust in (
        (_CUT_WHOLE, 0.85 if is_late else 0.6 if _ROLLED.search(sentence) else 0.0),
        (_CUT_OUT, 0.85),
        (_SHARED_OUT, 0.4),
        (_SHAPED, 0.4),
        (_DROPPED, 0.4),
    ):
        found = pattern.search(sentence)
        count = read_count(found["rest"]) if found else None
        if (
            pattern is _CUT_WHOLE
            and found
            and not trust
            and re.search(r"\bcakes?$|slab$|traybake$", found["named"] or "", re.I)
        ):
            trust = SURE  # "Cut cake into 15 pieces", before it is iced
        if not (found and count and trust and count.low >= 4):
            continue
        # "cut into 24." tells a number, and nothing follows it.
        rest = re.sub(
            r"^\W*(?:big|small|large|good|equal|even)?\W*(?:or\s+\d+\s*(?:small|large|little|big)\w*)?\W*(?:(?:while|when|once|if|as soon as|before|to serve|for serving)\b.*)?$",
            "",
            found["rest"][count.end :],
            flags=re.I,
        )
        is_number = pattern is _CUT_WHOLE and not count.kind and not re.search(r"\w", rest)
        if count.kind == "piece" or is_number or pattern is _DROPPED:
            return Stated(count, "", trust, found[0].strip()[:80])
    return None


# "For 4-6." is a sentence of its own.
_FOR_ALONE = re.compile(
    r"for\s+(?:about\s+)?\d{1,2}(?:\s*(?:-|–|to|or)\s*\d{1,2})?(?:,?\s+with\s+[^.\d]{3,40})?\W*", re.I
)
SURE = 0.8


def portions(found: Iterable[Stated]) -> Portions | None:
    """Return the portions that all places together tell, the most trusted first; None where none of them does.

    What is only guessed from the method, or only the whole that would be cut, is assumed.
    """
    found = list(found)
    counted = [s for s in found if s.count is not None and s.trust > 0]
    whole = next((s.whole for s in found if s.whole), "")
    if not counted:
        said = next((s for s in found if s.whole), None)
        if said is None:
            return None
        number, noun = said.whole.split(" ", 1)
        # Two loaves may go to two households; a jar is no portion of anything.
        count = int(number) if int(number) > 1 and singular(noun) not in counting_words("holder") else None
        return Portions(count, count, count, singular(noun) if count else "", whole, True, said.text)
    best = max(counted, key=lambda s: s.trust)
    assert best.count is not None
    noun = best.count.noun
    unit = "serving" if best.count.kind in ("person", "") else noun if best.count.kind == "piece" else "piece"
    return Portions(best.count.low, best.count.low, best.count.high, unit, whole, best.trust < SURE, best.text)
