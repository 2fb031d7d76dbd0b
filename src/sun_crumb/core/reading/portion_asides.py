"""What a title, a bracket or a line of its own says of portions: "Fig loaf (10 slices)", "14 wedges", "for 4"."""

from __future__ import annotations

import re

from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.reading.counts import (
    Count,
    counting_words,
    kind_of,
    read_count,
)
from sun_crumb.core.reading.plainly import counts_plainly
from sun_crumb.core.reading.portion_cues import EACH_ONE, WHOLES_THEN_EACH, Stated, counts_after, of_counts, statements

# "(about 18 large)": a line in brackets, under the name.
_ABOUT_SO_MANY = re.compile(
    r"\s*\(?\s*(?:about|approx(?:imately)?\.?|around|roughly|~|circa|ca\.?|(?=(?:[4-9]|\d\d)\s*\)))\s*(\d{1,3})(?:\s+(?:small|medium|large|big|little|mini))?\s*\)?\s*",
    re.I,
)
# "6-8 port.", "4 pers."
_SHORT_PEOPLE = re.compile(
    r"^(\W*\d{1,2}(?:\s*[-–]\s*\d{1,2})?)\s+(?:port|ptn|ptns|prtns|pers|serv|ppl|porz|porc|pess|rac)\.?$", re.I
)
# "16 pieces when cold"
_WHEN_COLD = re.compile(
    r"\s*\((?:when\s+|once\s+)?(?:cold|cool|cooled)\W*\)|\s+(?:when|once)\s+(?:it'?s\s+)?(?:cold|cool|cooled|set)\b",
    re.I,
)
# "16 pieces (cold!)"
_COLD_ASIDE = re.compile(r"\s*\((?:when\s+|once\s+)?(?:cold|cool|cooled)\W*\)", re.I)
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
    text = WHOLES_THEN_EACH.sub(r"\1, \2 each", _COLD_ASIDE.sub("", _IN_ALL.sub("", counts_plainly(text))))
    told, text = text.strip(), _LABELLED.sub(r"\1", _SHORT_PEOPLE.sub(r"\1 portions", _ISH.sub(r"about \1 ", text)))
    if abroad := _FOR_ABROAD.fullmatch(text):
        return Stated(Count(int(abroad[1]), int(abroad[1]), "serving", "person", 0), "", 0.95, told)  # "Pour 6"
    if (alone := _ABOUT_SO_MANY.fullmatch(text)) and (some := read_count(alone[1])):
        return Stated(some, "", 0.9, text.strip())
    if (such := SUCH_FOR.fullmatch(text)) and (some := read_count(such[1])):
        return Stated(some, "", 0.95, text.strip())
    start = _BARE.match(text).end()  # type: ignore[union-attr]
    counts, end = counts_after(text, start, is_bare=True)
    # "350 / 12 min / 3 doz": no portions, but a heat
    counts = [count for count in counts if count.kind or count.low < LEAST_HEAT] or counts
    behind = EACH_ONE.sub("", _IF_YOU.sub("", _WHEN_COLD.sub("", text[end:])))
    rest = re.sub(r"[^\w\s]", " ", behind).lower().split()
    if not counts or not set(rest) <= counting_words("about"):
        return None
    if all(c.kind not in ("piece", "person", "whole") for c in counts) and not re.search(r"\bdoz", text, re.I):
        return None
    return of_counts("bare", counts, told, 1.0)


# What is counted in hundreds and has no noun is no number of portions [1] (judgement).
LEAST_HEAT = 100
_IN_ALL = re.compile(
    r"\s+(?:in all|altogether|all told|in total|or (?:so|thereabouts|more)|give or take(?: a few)?)\W*$", re.I
)
_FOR_ABROAD = re.compile(
    r"(?:(?:recept|rezept|recette|receta|ricetta|oppskrift|opskrift)\s+)?(?:pour|für|fuer|para|por|per|voor|för)\s+([2-9]|[1-3]\d)\W*",
    re.I,
)


def said_in(aside: str) -> Stated | None:
    """Return what words beside a title or a heading say of portions: "makes 12", "14 wedges", "for about 40 biscuits"."""
    aside = _SHORT_PEOPLE.sub(r"\1 portions", _IN_TWO_TONGUES.sub(r"\1", aside))
    if times := _SO_MANY_TIMES.fullmatch(aside):
        return Stated(read_count(times[1]), "", 0.9, aside.strip())  # "(x12)"
    if large := _LITTLE_OR_BIG.fullmatch(aside):
        return Stated(Count(int(large[1]), int(large[1]), "", "", 0), "", 0.9, aside.strip())
    if either := _BIG_OR_LITTLE.fullmatch(aside):
        return Stated(Count(int(either[1]), int(either[2]), "", "", 0), "", 0.9, aside.strip())
    return next(iter(statements(aside)), None) or bare_count(aside) or _for_so_many(aside) or _so_many_alone(aside)


# "30 Stück/pieces"
_IN_TWO_TONGUES = re.compile(r"^(\W*\d{1,3}\s+[^\W\d_]+)\s*/\s*[^\W\d_]+\W*$")


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
    counts, end = counts_after(aside, begins.end())
    # "For 4 (about 16 churros)": who eats, before what they eat.
    return of_counts("sure", counts, aside.strip(), 1.0) if counts and not re.search(r"\w", aside[end:]) else None


def _so_many_alone(aside: str) -> Stated | None:
    """Read a number alone, as it stands behind a name: "Oat biscuits — 24", "Doughnuts (about 25 small)"."""
    number = _ABOUT_SO_MANY.fullmatch(f"({aside.strip()})") or _NUMBER_ALONE.fullmatch(aside)
    count = read_count(number[1]) if number else None
    return Stated(count, "", 0.9, aside.strip()) if count else None


# "2 big or 4 little"
_BIG_OR_LITTLE = re.compile(
    r"\W*(?:makes\s+)?(\d{1,2})\s*,?\s+(?:big|large|generous|hearty|regular|standard|normal|full[- ]size)\s*(?:or|/)\s*(\d{1,2})\s+(?:little|small|smaller|modest|tiny|minis?)(?:\s+ones)?\W*",
    re.I,
)
# "24 minis or 12 large"
_LITTLE_OR_BIG = re.compile(
    r"\W*(?:makes\s+)?\d{1,2}\s+(?:minis?|small|little|tiny)(?:\s+ones)?\s*(?:or|/)\s*(\d{1,2})\s+(?:big|large|regular|standard|normal|full[- ]size)(?:\s+ones)?\W*",
    re.I,
)
_SO_MANY_TIMES = re.compile(r"\W*[x×]\s?([2-9]|[1-9]\d)\W*", re.I)
_NUMBER_ALONE = re.compile(
    r"\W*(?:(?:approx(?:imately)?|about|abt|around|circa|ca|roughly)\b\.?)?\W*([4-9]|[1-9]\d)(?:\s+(?:generous|hearty|large|small|big|good|modest|greedy|hungry|dainty)(?:\s+(?:ones|helpings|portions|servings|people))?)?\W*",
    re.I,
)
_BRACKETED = re.compile(r"[(\[]([^()\[\]]+)[)\]]")
_ASIDE = re.compile(
    r"[(\[]([^()\[\]]+)[)\]]|\s/\s+((?:\d|(?:an?|one|two|three|half an?)?\s*dozen).*?)$|\s[–—-]{1,3}\s+(.+?)$|\s+[·•|]\s+(.+?)$|\s{2,}(\S.+?)$|\s((?:yields?|makes|serves|servings)\b.+?)$|,\s*((?:(?!\s[-–—]\s).)+)$|:\s*(.+?)$|\s((?:about|approx\.?|ca\.?)\s+\d{1,3})$",
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
    return (title, None) if len(title) > LONGEST_TITLE else _of_a_name(title)


def _of_a_name(title: str) -> tuple[str, Stated | None]:
    # "Hazelnut cookies —> 20"
    title = re.sub(r"\s*[-–—=]+>\s*(?=\d)", " – ", title.replace("{", "(").replace("}", ")"))
    if behind := _behind_the_name(title):
        return behind
    for aside in (*_ASIDE.finditer(title), *_BRACKETED.finditer(title)):
        inside = next(part for part in aside.groups() if part)
        said = said_in(inside) or next((told for part in inside.split(",") if (told := said_in(part))), None)
        if said is not None and (said.count or said.whole):
            rest = f"{title[: aside.start()]} {title[aside.end() :]}"
            return re.sub(r"\s+", " ", rest).strip(" ,:–—-"), said
    if counted := _counted_last(title.strip()):
        return counted
    if told := next((s for s in statements(title) if s.count and s.count.kind == "person"), None):
        return title, told  # "Profiteroles for 8 people, 4 each"
    if re.search(
        r"\bmug (?:cake|brownie|pudding|muffin)\b(?!s)|\b(?:single[- ]serv(?:e|ing)|serves (?:just |only )?(?:me|myself|yourself|one)\b|for (?:one|1))\b(?![.\d])",
        title,
        re.I,
    ):
        return title, Stated(Count(1, 1, "serving", "person", 0), "", 0.9, title)
    if (found := _TIMES.search(title)) and len(title[: found.start()].split()) > 1:
        # "Chia pudding x 2"
        return title[: found.start()], Stated(read_count(found[1] or found[2]), "", 0.9, found[0].strip(" ,"))
    if (found := _FOR_SO_MANY.search(title)) and re.search(r"[.!]\s*$", title[: found.start()]):
        # "Rhubarb fool. For 4.": said behind the name.
        return title[: found.start()].strip(" ."), Stated(read_count(found[1]), "", 0.9, found[0].strip(" ."))
    # "Apple crumble for two": the name it goes by.
    if found := found or _FOR_WITHIN.search(title):
        return title, Stated(read_count(found[1]), "", 0.9, found[0].strip())
    return title, None


# No name is longer than this [characters] (judgement).
LONGEST_TITLE = 400


def _counted_last(title: str) -> tuple[str, Stated] | None:
    """Return a title and the count that ends it: "Sour cherry brownies 16 sq.", "BLACK BEAN BROWNIES 16"."""
    if (abroad := _EATERS_ABROAD.search(title)) and re.fullmatch(r"[^\W\d_][^()]*", title[: abroad.start()]):
        # "Tiramisù per 8 persone"
        return title[: abroad.start()].strip(), Stated(read_count(abroad[1]), "", 0.95, abroad[0].strip())
    if (counted := _COUNTED_LAST.fullmatch(title)) and (said := bare_count(counted[2])):
        return counted[1].strip(" ,:–—-"), said
    if (numbered := _NUMBER_LAST.fullmatch(title)) and kind_of(numbered[2].lower()) == "piece":
        many = int(numbered[3])
        return numbered[1], Stated(Count(many, many, singular(numbered[2].lower()), "piece", 0), "", 0.9, title)
    return None


def so_many_of(title: str) -> tuple[str, Stated] | None:
    """Return the name and the number of a title that only tells how many the list is for: "For 12 muffins:"; None of others."""
    such = _SUCH_MANY.fullmatch(title)
    count = read_count(such[1]) if such else None
    if such is None or count is None or count.kind != "piece":
        return None
    return such[2][:1].upper() + such[2][1:], Stated(count, "", 0.95, title.strip(" :.*#"))


_SUCH_MANY = re.compile(
    r"\W*(?:for|für|pour|per|para|voor|för)\s+((?:about |ca\.? )?(?:[4-9]|\d\d)\s+((?:[^\W\d_]+\s+)?[^\W\d_]+))\s*[:.]?\W*",
    re.I,
)
# "Brownies - tray of 24"
_TRAY_OF = re.compile(r"\s*[-–—,:(]+\s*(?:an?\s+)?(?:tray|tin|batch|box|pan|slab)\s+of\s+(\d{1,3})\)?\s*$", re.I)
# "BLACK BEAN BROWNIES 16"
_NUMBER_LAST = re.compile(r"([^\d:]*?\b([^\W\d_]+s))\s+([4-9]|[1-6]\d)", re.I)
# "Quick strudel for 6 / Schneller Apfelstrudel"
_FOR_WITHIN = re.compile(r"\bfor\s+([2-9]|1\d|2[0-4])\s+(?=[/|–—])")
_COUNTED_LAST = re.compile(
    r"([^\d:]{4,60}?)\s+(\d{1,3}\s+(?:pcs?|sq|pieces|slices|portions|servings|squares|people|bars|port|st|rounds|biscuits|cookies|buns|scones|muffins|cupcakes|balls)\.?)",
    re.I,
)


def _behind_the_name(title: str) -> tuple[str, Stated] | None:
    """Return a title and what a stroke or a stop divides from it: "Lime pots (no bake) / for 4", "Mocha pots - 8 people", "Malt loaf. 20 slices in all"."""
    stop = re.search(
        r"(?<!\bca)(?<!\babt)(?<!approx)(?<!\bno)(?<!\bnr)(?<!\bvol)[.!]\s+(?=\d|about\b|makes\b|feeds\b|serves\b)",
        title,
        re.I,
    )
    if stop and title.count("(", 0, stop.start()) == title.count(")", 0, stop.start()):
        rest = title[stop.end() :]
        said = [
            s for part in (*rest.split(","), rest) if (s := said_in(_IN_ALL.sub("", part))) and (s.count or s.whole)
        ]
        # The slices rather than the loaves that they are cut from.
        said.sort(key=lambda s: -s.count.low if s.count and s.count.kind == "piece" else 0)
        if said:
            return title[: stop.start()].strip(), said[0]
    if slashed := _FOR_BEHIND.search(title):
        return title[: slashed.start()].strip(), Stated(read_count(slashed[1]), "", 0.95, slashed[0].strip(" /|"))
    if (found := _TRAY_OF.search(title)) and (count := read_count(found[1])):
        name = title[: found.start()].strip(" ,:–—-")
        # "Ginger scones (for the fete - tray of 24)"
        name = name[: name.rindex("(")].strip() if name.count("(") > name.count(")") else name
        return name, Stated(count, "", 0.9, found[0].strip(" ,–—-"))
    if behind := _EATERS_BEHIND.search(title):
        return title[: behind.start()].strip(), Stated(read_count(behind[1]), "", 0.95, behind[1])
    return None


_EATERS_BEHIND = re.compile(r"\s+[-–—|,]+\s+(\d{1,2}\s+(?:people|persons|guests|eaters|servings|portions))\W*$", re.I)
_EATERS_ABROAD = re.compile(
    r"\s+(?:per|pour|für|para|voor|til|för)\s+(\d{1,2}(?:\s*[-–]\s*\d{1,2})?\s+(?:pers(?:on[a-z]*)?|porzioni|portion[a-z]*|raciones|porciones|porties|personer))\W*$",
    re.I,
)
_FOR_BEHIND = re.compile(
    r"\s+[/|–—-]+\s+(?:serves|for|makes)\s+((?:\d{1,2}|two|four|six|eight)(?:\s+(?:people|persons|pieces|pots))?)\W*$",
    re.I,
)
_TIMES = re.compile(r"(?:\s+[x×]\s*([1-9]\d?)|,\s+(?:about\s+)?([1-9]\d?) of(?: them)?)$", re.I)
_FOR_SO_MANY = re.compile(
    r"\b(?:for|für|pour|per|voor|för|til)\s+(?:a\s+(?:crowd|party|group|table|buffet|gathering|supper|lunch|dinner)\s+of\s+)?((?:[2-9]|[1-9]\d|two|three|four|five|six|eight|ten|twelve)(?:\s*(?:-|–|to|or|bis|à)\s*\d{1,2})?(?:\s+people)?)\W*(?:\((?:[^()\d]*|or\b[^()]*|[^()]*\b(?:min\w*|hours?|hrs?)\b[^()]*)\)\W*)?$",
    re.I,
)
