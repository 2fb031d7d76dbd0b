"""What a step of the method says of portions: where the finished thing is cut, shaped, shared out or served."""

from __future__ import annotations

import re
from dataclasses import replace

from sun_crumb.core.quantities.nouns import singular
from sun_crumb.core.reading.counts import (
    Count,
    kind_of,
    read_count,
)
from sun_crumb.core.reading.dessert_words import ends_with_a_dessert
from sun_crumb.core.reading.portion_asides import bare_count, said_in
from sun_crumb.core.reading.portion_cues import WAYS, Stated, statements

SURE = 0.8
_SHARED_OUT = re.compile(
    r"\b(?:divide|spoon|pour|share|portion|scoop|ladle|distribute|pipe|split)\w*\b[^.;]{0,60}?\b(?:between|among(?:st)?|into|in)\s+(?P<rest>.{1,60})",
    re.I,
)
_CUT_WHOLE = re.compile(
    r"\b(?:cuts?|slices?|cutting|slicing|divides?|portion|mark|score|snap|break)\s+(?:nicely\s+|neatly\s+|easily\s+|cleanly\s+)?(?:it|them|mine|(?P<named>(?:the\s+)?(?:\w+\s+){0,2}?(?:cake|cakes|traybake|slab|tray|bake|loaf|bread|bars?|tart|pie|block|mixture|cheesecake|brownies?|squares?|fudge|shortbread))\s+)?\s*"
    r"(?:up\s+)?(?:into|in)\s+(?P<rest>.{1,60})",
    re.I,
)
# "Roll up, cut into 12": a dough is cut before it is baked.
_ROLLED = re.compile(
    r"\b(?:roll(?:ed)?(?:\s+it|\s+the\s+\w+)?\s+up|log|sausage|dough|cylinder|spiral|dis[ck]|wedges)\b", re.I
)
# "fill, roll up and cut 12 rolls": the pieces themselves are named.
_CUT_OUT = re.compile(
    r"\b(?:(?:cut|slice|mark|score|stamp out|cut out)\s+(?:about\s+|around\s+)?|(?:shape|form|roll)\s+(?:about\s+)?(?=\w+\s+(?:small\s+|little\s+|even\s+)?(?:buns|rolls|biscuits|cookies|scones|bars|cakes|truffles|doughnuts)\b))"
    r"(?P<rest>(?:\d{1,2}|ten|twelve|sixteen|twenty)\s+(?!cm|inch|mm|in\b)\w+.{0,20})",
    re.I,
)
_DROPPED = re.compile(
    r"\b(?:drop|dollop|scoop|spoon|place|put|arrange|make|shape|form|roll|pipe)\w*\s+(?:out\s+)?(?:about\s+|around\s+)?(?P<rest>\d{1,2}\s+(?:\w+\s+)?(?:spoonfuls|mounds|heaps|blobs|dollops|balls|rounds|logs|circles|discs)\b)",
    re.I,
)
# "Cut in 24.", before it is baked; "prick, mark in 8 and bake"
_CUT_ALONE = re.compile(
    r"(?:^|[.;]\s+)(?:cut|score|mark)\s+(?:it\s+)?in(?:to)?\s+([6-9]|[1-4]\d)(?=\s*(?:[.;]|$))"
    r"|\b(?:mark|score)\s+(?:it\s+)?in(?:to)?\s+([6-9]|[1-4]\d|six|eight|ten|twelve|sixteen)(?=\s*(?:[,.;]|and\b|then\b|$))",
    re.I,
)
# "Cut 6 or 8."
_CUT_EITHER = re.compile(
    r"\bcuts?\s+(?:(?:it|this)\s+)?(?:in(?:to)?\s+)?(\d{1,2})\s*(?:or|-|–|to)\s*\d{1,2}\s*(?:[.;,]|$)", re.I
)
# What each eater has one of: "split into two glasses", "pour into 10 popsicle moulds".
_EACH_HAS_ONE = re.compile(
    r"\b(?:divide|spoon|pour|share|serve|portion|split|ladle|set|layer|assemble|build|arrange)\w*\b[^.;]{0,60}?\b(?:between|among(?:st)?|into|in)\s+(?P<rest>(?:\d{1,2}|two|three|four|five|six|eight|ten|twelve)\s+"
    r"(?:\w+\s+)?(?:glass(?:es)?|bowls|ramekins|pots|jars|cups|(?:popsicle|lolly|ice[- ]pop|ice[- ]lolly|kulfi|dariole|pudding)\s+mou?lds))\b",
    re.I,
)
# "Into 4 pots."
_INTO_SO_MANY = re.compile(
    r"^\W*(?:pour |spoon |divide )?(?:in|into|between) (?P<rest>(?:\d{1,2}|two|three|four|five|six|eight|ten|twelve) (?:\w+ )?(?:glass(?:es)?|bowls|ramekins|pots|jars|cups|verrines))\b",
    re.I,
)
# "Scoop 24."
_SO_MANY = re.compile(
    r"\b(?:scoop|shape|roll|form|drop|pipe|cut|stamp(?:\s+out)?|makes?)\s+(?:out\s+)?(?:about\s+|around\s+)?(\d{1,2})\s*(?:[.;,]|$)",
    re.I,
)
# "Roll into 16."
_SHAPED_INTO = re.compile(
    r"\b(?:roll|shape|form|squash|press)\s+(?:(?:it|them|all)\s+)?(?:in|into)\s+(?:about\s+)?(\d{1,2})\s*(?:[.;,]|$)",
    re.I,
)
# "Slice when cold (12)."
_SO_MANY_ASIDE = re.compile(
    r"\b(?:cut|slice|portion|mark)s?\b[^.;()\d]{0,40}\((?:about\s+)?(\d{1,2})\)|\b(?:bowls|glasses|pots|ramekins)\s*\((\d{1,2})\)",
    re.I,
)
# "Fill 12 cases 3/4 full."
_FILLED = re.compile(
    r"(?:\bfills?\s+(?!(?:\d{1,2}|two|three|four)\s+(?:[x×]\s*\d+\s*\w+\s+)?(?:\w+\s+)?jars)(?:about\s+)?|,\s+(?=\d{1,2}\s+(?:glasses|pots|ramekins|jars)\s*(?:[,.;]|$)))(\d{1,2}|two|three|four|five|six|eight|ten|twelve)\s+(?:\w+\s+){0,3}"
    r"(?:cases|dishes|glasses|bowls|pots|ramekins|moulds|cups|jars)\b",
    re.I,
)
# A tin with so many holes makes so many, if all is filled.
_HOLES = re.compile(
    r"\b(?P<rest>\d{1,2})[- ](?:hole|cup|cavity|case)s?\s+(?:\w+[- ])?(?:muffin|cupcake|bun|fairy|madeleine|mince pie|tartlet|doughnut|donut|friand)"
    # "12 muffin cups"
    r"|\b(?P<cases>\d{1,2})\s+(?:paper\s+|lined\s+|greased\s+)?(?:muffin|cupcake|bun|fairy cake|cake|paper|petit[- ]four|tartlet)\s+(?:cups|cases|holes|liners|papers|moulds)\b"
    # "Press in a 12-hole tin"
    r"|\b(?P<tin>\d{1,2})[- ]hole\s+(?:\w+\s+)?(?:tin|tray|pan)\b"
    # "Line 12 holes with the pastry"
    r"|\b(?:line|fill|grease|butter)\w*\s+(?P<lined>\d{1,2})\s+(?:\w+\s+)?holes\b",
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
# "I cut them 6 x 4."
_CUT_SO_BY = re.compile(
    r"\bcut\s+(?:(?:them|it|mine|this)\s+)?(?:up\s+)?(\d{1,2})\s*(?:x|×|by)\s*(\d{1,2})\b(?!\s*(?:cm|inch|in\b|mm|\"))",
    re.I,
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
    if (told := _CUT_SO_BY.search(sentence)) and is_late:
        return Stated(read_count(str(int(told[1]) * int(told[2]))), "", 0.85, told[0].strip())
    if (asided := _SO_MANY_ASIDE.search(sentence)) and is_late:
        return Stated(read_count(asided[1] or asided[2]), "", 0.85, asided[0].strip(" ,;"))
    if (
        (many_of := _SO_MANY.search(sentence) or _SHAPED_INTO.search(sentence))
        and (count := read_count(many_of[1]))
        and count.low >= 4
    ):
        # "Cool, cut 24": the finished thing, in the end.
        is_cut = is_late and many_of[0].lower().startswith("cut")
        return Stated(count, "", 0.85 if is_cut else 0.7, many_of[0].strip(" ,;"))
    if (last := _ABOUT_SO_MANY_LAST.search(sentence)) and (count := read_count(last[1])) and count.low >= 4:
        return Stated(count, "", 0.8, last[1])
    if (heaps := _HEAPS.match(sentence)) and (count := read_count(heaps[1])) and count.low >= 4:
        return Stated(count, "", 0.4, heaps[0].strip())
    if filled := _FILLED.search(sentence):
        return Stated(read_count(filled[1]), "", 0.8, filled[0])
    if holes := _HOLES.search(sentence):
        many = int(holes["rest"] or holes["cases"] or holes["tin"] or holes["lined"])
        return Stated(Count(many, many, "piece", "piece", 0), "", 0.35, holes[0]) if many >= 4 else None
    return None


# "Roll thin, cut rounds - about 20."
_ABOUT_SO_MANY_LAST = re.compile(
    r"\b(?:cut|roll|shape|stamp|scoop|drop|pipe|break|snap|rounds|balls|circles|spoonfuls)\b[^.;]*?[-–—,(]\s*(?:about|roughly|approx\.?|around|makes(?:\s+about)?)\s+(\d{1,2})(?:\s+(?:bits|pieces|shards|squares))?\)?\W*$",
    re.I,
)


# "14 heaps on a tray"
_HEAPS = re.compile(
    r"(?:.*[/,;]\s*)?(\d{1,2}|six|eight|ten|twelve|sixteen|twenty)\s+(?:(?:rough|small|big|even|neat)\s+)?(?:heaps|mounds|balls|blobs|spoonfuls|dollops)\b",
    re.I,
)


def _for_each_eater(sentence: str) -> Stated | None:
    """Return how many have one each, or how many pieces one may cut: "split into two glasses", "cut 6 or 8"."""
    if (ways := WAYS.search(sentence)) and (count := read_count(ways[1])):
        return Stated(count, "", 0.85, ways[0])
    if (either := _CUT_EITHER.search(sentence)) and (count := read_count(either[1])):
        return Stated(count, "", 0.8, either[0].strip(" .;,"))
    if (each := _EACH_HAS_ONE.search(sentence) or _INTO_SO_MANY.match(sentence)) and (
        count := read_count(_CUPS.sub("bowls", each["rest"]))
    ):
        return Stated(replace(count, noun="serving", kind="person"), "", 0.7, each[0].strip())
    return None


# What is poured into eight of them measures nothing.
_CUPS = re.compile(r"\bcups$", re.I)


def _in_few_words(sentence: str, *, is_late: bool) -> Stated | None:
    """Return how many a sentence of few words tells: "score in 24 diamonds", "About thirty.", "For six, with cream."."""
    if is_late and (alone := _ABOUT_ALONE.fullmatch(sentence.strip())) and (count := read_count(alone[1])):
        return Stated(count, "", 0.85, alone[0].strip(" ."))  # "About thirty."
    if is_late and (bare := _BARE_LAST.fullmatch(sentence)):
        return Stated(read_count(bare[1]), "", 0.7, bare[1])  # "Chill. 16."
    if (into := _INTO_VESSELS.search(sentence)) and (is_late or into[0].lower().startswith(("set", "chill"))):
        return Stated(read_count(f"{into[1]} servings"), "", 0.7, into[0])
    if is_late and (last := _COUNT_THEN_TALK.fullmatch(sentence) or _SLICED.fullmatch(sentence)):
        return Stated(read_count(last[1]), "", 0.85, last[1])
    if is_late and (abroad := _CUT_ABROAD.search(sentence)):
        return Stated(read_count(f"{abroad['a'] or abroad['b']} pieces"), "", 0.85, abroad[0])
    if (scored := _SCORED.search(sentence)) and (said := bare_count(scored[1])):
        return replace(said, trust=SURE)  # "score in 24 diamonds", before it bakes
    if (does := _DOES.fullmatch(sentence.strip())) and (
        count := read_count(does["count"] or f"{does['serves'] or does['many']} servings")
    ):
        return Stated(count, "", SURE, does[0].strip(" ."))
    if (named := _NAMED_SO_MANY.match(sentence.strip())) and ends_with_a_dessert(named[1].strip()):
        return Stated(read_count(named[2]), "", 0.85, named[0])  # "Spritz cookies (60). 375 °F"
    whom = sentence.split(",")[0].strip(" .")
    if is_late and _FOR_ALONE.fullmatch(whom) and (said := said_in(whom)) and said.count:
        return Stated(said.count, said.whole, 0.85, said.text)  # "For six, with cream."
    return None


_WHOLES_CUT = re.compile(r"\d{1,2}\s+[^\W\d_]+\s*[,;(]\s*(?:about\s+|ca\.?\s+)?\d{1,2}\s+[^\W\d_]+\s+each\b", re.I)
# "20 pieces at 50g"
_SO_HEAVY = re.compile(
    r"^\W*(\d{1,3}\s+(?:pieces|balls|buns|portions|rolls|rounds))\s+(?:at|of|@|x|à)\s+(?:about\s+)?\d{2,3}\s*g\b(?:\s+each)?",
    re.I,
)
_NAMED_SO_MANY = re.compile(r"([A-Z][^\d()]{3,50})\(\s*([4-9]|[1-9]\d)\s*\)\s*(?:$|[.:;–—-]\s|[.!]$)")
_BARE_LAST = re.compile(
    r"\s*\(?\s*([4-9](?:\s*[-–]\s*\d{1,2})?|[1-4]\d)(?:\s+(?:cases|papers|paper cases|holes))?\s*[.!]?\s*\)?\s*", re.I
)
# "set in 4 moulds"
_INTO_VESSELS = re.compile(
    r"\b(?:set|chill|pour(?:ed)?|spoon(?:ed)?|put)\s+(?:up\s+)?in(?:to)?\s+(\d{1,2}|two|four|six|eight)\s+(?:\w+\s+)?(?:moulds|glasses|bowls|ramekins|pots|dishes)\b",
    re.I,
)
# "8-10 slices, custard compulsory"
_COUNT_THEN_TALK = re.compile(
    r"\s*(\d{1,2}(?:\s*[-–]\s*\d{1,2})?\s+(?:slices|portions|pieces|squares|servings|helpings|wedges|bars))\s*,\s*[^\d]{3,40}"
)
# "Slice: about 24."
_SLICED = re.compile(
    r"\s*(?:slices?|cuts?|portions?)(?:\s+(?:thick|thin|thickly|thinly|when cold))?(?:\s*:|\s+[–—-])\s*(?:about\s+)?(\d{1,2})\s*[.!]?\s*",
    re.I,
)
# "Score into diamonds (about 24)"
_IN_PIECES = re.compile(
    r"\b(?P<in>in|into)\s+(?P<pieces>(?:(?:small|little|big|large|even|neat)\s+)?(?:squares|diamonds|fingers|slices|pieces|wedges|bars|triangles|rectangles|cubes))\s*[(,–—-]\s*(?:about|approx\.?|around|roughly|you(?:['’]ll| should)? get(?: about)?)?\s*(?P<many>\d{1,2})(?:[ -]?ish)?\b\)?",
    re.I,
)
# "Does eight squares.", "8 serves"
_DOES = re.compile(
    r"(?:(?:this |it )?(?:does|should do|will do)\s+(?:about\s+)?(?P<count>[\w-]+\s+(?:\w+\s+)?(?:squares|slices|pieces|bars|people|portions|buns|biscuits|helpings|bowls|glasses))|(?P<serves>\d{1,2})\s+serves"
    # "Does 12 easily."
    r"|(?:this |it )?does\s+(?:about\s+)?(?P<many>[2-9]|[1-4]\d)(?:\s+(?:easily|comfortably|generously|nicely|at least))?)\W*",
    re.I,
)
# "In 40 Stücke schneiden", "Cortar en 12 porciones"
_CUT_ABROAD = re.compile(
    r"\bin\s+(?:ca\.?\s*)?(?P<a>\d{1,3})\s+(?:Stücke?|Quadrate|Würfel|Rauten|Streifen|Scheiben|Rechtecke|Schnitten)\s+(?:schneiden|teilen)"
    r"|\b(?:cortar|corta|couper|coupez|découper|découpez|tagliare|tagliate|taglia|skär|snijd|snijden|skjær|skær|pokroić)\b[^.;\d]{0,20}\b(?:en|in|i|na)\s+(?:ca\.?\s*)?(?P<b>\d{1,3})\b(?!\s*(?:cm|mm))",
    re.I,
)
_SCORED = re.compile(r"\b(?:score|mark)\w*\b[^.;\d]{0,24}\b(?:in|into)\s+(\d{1,3}\s+[^\W\d_]+)", re.I)
_ABOUT_ALONE = re.compile(
    r"(?:about|around|roughly|approx\.?|abt\.?)\s+(\d{1,3}|[a-z]+(?:-[a-z]+)?)(?:\s+(?:bits|shards|ones))?\W*", re.I
)


def of_step(sentence: str, *, is_late: bool) -> Stated | None:
    """Return what a sentence of the method says of portions: surest where the finished thing is cut or served.

    ``is_late`` for the last part of the method, where the thing itself is cut and not what goes into it.
    """
    sentence = _SO_HEAVY.sub(r"divide into \1", sentence)
    sentence = _IN_PIECES.sub(r"\g<in> \g<many> \g<pieces>", sentence)
    said_so = statements(sentence)
    for stated in said_so:
        cue = stated.text.lower()
        if (
            _THEY_MAKE.search(sentence)
            or re.match(
                r"(?:for\s+an?\s+(?:crowd|party|group|table|buffet)\s+of\b|for\s+[\w–-]+(?:\s+(?:to|or)\s+\w+)?\s+(?:people|persons|guests)|pour\b|für\b|per\b|para\b|serv|dos[ei]|salen|genug|good for|amount|cut\s+(?:it|them|in|into)\s+\d+\s*(?:x|×|by)|feed|fed\b|enough|makes|cuts\b|yield|ergibt|ergeben|rinde|rende|sufficient|gives|does|will do|portion|\w+ of us|\w+ (?:(?:greedy|hungry|polite) )?people\b|(?:i|we|you)\b|[^\W\d_]+\s*[:=]|\d[\d\s–-]*(?:(?:to|or)\s+\d+\s+)?(?:\w+ )?(?:serving|portion|helping))",
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
    if few := _in_few_words(sentence, is_late=is_late):
        return few
    if told := _cut_from_wholes(sentence) or _beside_the_heat(sentence):
        return told
    if is_late and (inside := _IN_BRACKETS.match(sentence)) and (said := bare_count(inside[1])) and said.count:
        return Stated(said.count, said.whole, 0.85, said.text)  # "(14 slices, butter them)"
    # "16 squares, nice w custard"
    first = re.match(r"\d{1,3}\s+[^\W\d_]+(?=\s*[,;(]|\s+buttered\b)", sentence)
    if (
        (alone := bare_count(sentence) or (bare_count(first[0]) if first else None))
        and alone.count
        and (alone.count.kind in ("piece", "person") or (is_late and re.search(r"\bdoz", sentence, re.I)))
    ):
        # "10 bars.", "8 people"; "20 balls" is how a dough is shaped, and two may make one.
        is_shape = singular(alone.count.noun) in _SHAPES_OF_DOUGH
        return Stated(alone.count, alone.whole, 0.4 if is_shape else 0.9, alone.text)
    if (aside := _FOR_PIECES.search(sentence) or _CUT_FOR.search(sentence)) and (count := read_count(aside[1])):
        return Stated(count, "", 0.9, aside[0].strip("()"))
    told = _shaped_in_so_many(sentence, is_late=is_late) or _for_each_eater(sentence)
    if told or (told := _divided(sentence, is_late=is_late) or _cut_alone(sentence)):
        return told
    # "Makes three 8 x 4-inch loaves."
    return next(
        (replace(s, trust=0.9) for s in said_so if s.whole and s.text.lower().startswith(("make", "yield"))), None
    )


def _cut_from_wholes(sentence: str) -> Stated | None:
    """Return how many a sentence cuts from several wholes: "2 rolls, about 12 slices each. 180 °C, 40 min."."""
    cut = _WHOLES_CUT.match(sentence)
    said = bare_count(cut[0]) if cut else None
    return replace(said, trust=0.9) if said and said.count else None


def _cut_alone(sentence: str) -> Stated | None:
    """Return into how many a sentence that says nothing else cuts, also before it is baked: "Cut in 24."."""
    cut = _CUT_ALONE.search(sentence)
    return Stated(read_count(cut[1] or cut[2]), "", 0.6, cut[0].strip(" .;")) if cut else None


def _beside_the_heat(sentence: str) -> Stated | None:
    """Return how many a line tells beside its heat, its time or its tin: "180 °C, 35 min, 10 raciones", "12 cases · 170 °C fan · 20-22 min"."""
    parts = [part.strip(" .[]()") for part in _SIGNS.split(sentence)]
    if not len(parts) >= LEAST_FACTS or len(sentence) > LONGEST_FACTS or not any(map(_HEAT_OR_TIME.search, parts)):
        return None
    if any(len(part.split()) > MOST_OF_A_FACT for part in parts):
        return None
    said = [
        told
        for part in parts
        if (told := bare_count(_CASES.sub("pieces", part)) or (said_in(part) if _FOR_ALONE.fullmatch(part) else None))
        and told.count
    ]
    found = next(
        (one for one in said if one.count and one.count.low > 1 and one.count.kind in ("piece", "person")), None
    )
    if found is None and (alone := _ABOUT_LAST.fullmatch(parts[-1])) and (count := read_count(alone[1])):
        return Stated(count, "", 0.85, parts[-1])  # "375 °F, 15 min, about 40"
    return replace(found, trust=0.9) if found else None


_ABOUT_LAST = re.compile(r"(?:about|approx\.?|ca\.?|circa|makes|gives)\s+(\d{1,3})", re.I)
_SIGNS = re.compile(r"\s*[,;|•·/]\s+|\s+[–—-]{1,2}\s+")
_HEAT_OR_TIME = re.compile(r"\b\d{2,3}\s*(?:°|º|C\b|F\b|fan\b|deg)|\b\d{1,3}\s*(?:min|hour|hr|h\b)|\bgas\b", re.I)
_CASES = re.compile(r"\b(?:paper |muffin |cupcake )?(?:cases|liners)$", re.I)
# A line of facts has at least so many, each of so few words, in so many characters.
LEAST_FACTS, MOST_OF_A_FACT, LONGEST_FACTS = 2, 7, 110
_IN_BRACKETS = re.compile(
    r"\W*\(\s*(\d{1,2}\s+(?:slices|pieces|squares|bars|portions|servings|wedges|fingers))\b[^()]*\)?"
)
_SHAPES_OF_DOUGH = frozenset({"ball", "round", "log", "disc", "disk", "circle", "mound", "rope", "strip"})
# "press into a 24 cm tin (for 12 pieces)"
_FOR_PIECES = re.compile(
    r"\((?:for|makes|gives)\s+(?:about\s+)?(\d{1,2}\s+(?:pieces|slices|squares|bars|portions|servings|people))\)", re.I
)
# "Wedges for 8"
_CUT_FOR = re.compile(r"\b(?:wedges|slices|squares|pieces|bars)\s+for\s+(\d{1,2})(?=\W*$)", re.I)
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
        # "cut in 12, prove 1 hr": another deed follows.
        rest = "" if re.match(r"\s*,\s*[a-z]+\b", found["rest"][count.end :]) else rest
        is_number = pattern is _CUT_WHOLE and not count.kind and not re.search(r"\w", rest)
        if count.kind == "piece" or is_number or pattern is _DROPPED:
            return Stated(count, "", trust, found[0].strip()[:80])
    return None


# "For 4-6." is a sentence of its own.
_FOR_ALONE = re.compile(
    r"for\s+(?:about\s+)?(?:\d{1,2}|two|three|four|five|six|eight|ten|twelve)(?:\s*(?:-|–|to|or)\s*\d{1,2})?(?:,?\s+with\s+[^.\d]{3,40})?\W*",
    re.I,
)
