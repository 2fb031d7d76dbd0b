"""Words of a step for several lines at once: the dry ingredients, everything but the nuts."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from sun_crumb.core.method.mentions import said_lines
from sun_crumb.core.method.names import Names

Group = Literal["dry", "wet", "all", "others", "both"]
_GROUPS: tuple[tuple[Group, re.Pattern[str]], ...] = (
    (
        "dry",
        re.compile(
            r"\b(?:the\s+)?(?:rest of the\s+|remaining\s+|other\s+)?dry\s+(?:(?!and\b|into\b|until\b|mix|with\b)[\w-]+\s+)?(?:ingredients?|ingr\b|mix(?:ture)?|stuff|things|goods|bowl)|\b(?:the|in|add|all) dries\b|\b(?:mix|add|whisk|combine|in|into|to|with|stir|then|sift|fold|blend|blitz|beat)\s+(?:the\s+|in\s+|over\s+)?dry\b(?!\s+(?:[\w-]+\s+)?(?:\w*ingr|mix|stuff|things|goods|bowl))|\b(?:everything|all)\s+(?:that is\s+)?dry\b|(?:^|(?<=[.!?;,]\s))dry\s+(?:in(?:to)?\s+(?:an?|the|one)\s+(?:\w+\s+)?bowl|together|first|in(?=\s*[,.;]|$))(?!\w)",
            re.I,
        ),
    ),
    (
        "wet",
        re.compile(
            r"\b(?:the\s+)?(?:rest of the\s+|remaining\s+|other\s+)?(?:wet|liquid)\s+(?:(?!and\b|into\b|until\b|mix|with\b)[\w-]+\s+)?(?:ingredients?|ingr\b|mix(?:ture)?|stuff|things|bowl)|\b(?:the|in|add|all) wets\b|\b(?:mix|add|whisk|combine|into|with|stir|then|fold|blend|blitz|beat|melt|warm|heat)\s+(?:the\s+|in\s+)?wet\b(?!\s+(?:[\w-]+\s+)?(?:\w*ingr|mix|stuff|things|bowl))|\b(?:everything|all)\s+(?:that is\s+)?wet\b|(?:^|(?<=[.!?;]\s))wet\s+(?:in(?:to)?\s+(?:an?|the|another)\s+(?:\w+\s+)?(?:bowl|jug)|together|next)\b",
            re.I,
        ),
    ),
    (
        "both",
        re.compile(
            r"\b(?:combine|mix|stir|fold|bring|join)\s+(?:the\s+)?two(?:\s+(?:mixtures?|together|bowls?))?\b", re.I
        ),
    ),
    (
        "others",
        re.compile(
            r"\b(?:(?:all\s+)?(?:the\s+)?(?:rest of the\s+|remaining\s+|other\s+)(?:(?P<part>[\w-]+(?:\s[\w-]+)?)\s+)?ingredients?|everything else|(?:the\s+|all\s+(?:the\s+)?)?(?:mix|add)[- ]?ins\b|the rest(?!\s+of)|(?<=\bin )rest(?!\s+of)|(?<=\badd )rest(?!\s+of)|(?:(?<=\bbeat )|(?<=\bfold )|(?<=\bstir )|(?<=\bsift )|(?<=\bblend ))rest(?!\s+(?:of|for|in|on|at|\d|an?\b))|(?<=\bmix )rest(?!\s+(?:of|for|in|on|at|\d|an?\b))|(?<=\bwhisk )rest(?!\s+(?:of|for|in|on|at|\d|an?\b))|the others)\b",
            re.I,
        ),
    ),
    (
        "all",
        re.compile(
            r"\b(?:(?:all\s+)?(?:of\s+)?(?:the\s+)?(?:(?P<part>[\w-]+(?:\s(?:and|&)?\s?[\w-]+)?)\s+)?ingredients?|(?:all\s+(?:of\s+)?)?(?:the\s+)?(?P<things>[\w-]+)\s+(?:things|stuff|bits)|everything(?!\s+else)|\betc\b|(?:(?<=\bmix )|(?<=\bstir )|(?<=\bcombine )|(?<=\bblend )|(?<=\bblitz )|(?<=\badd ))(?:it\s+)?all\b(?=\s*(?:[,.;(]|but\b|except\b|$))|(?<=\bmix )in order\b|all\s+(?:in|together|into)\s+(?:one|a|the)?\s*(?:bowl|pan|blender|processor|saucepan)?|all together)\b",
            re.I,
        ),
    ),
)
# "everything except the apricots, flaked almonds and jam in a bowl": what the list of what is left out goes on with.
_AND_SO_ON = re.compile(
    r"(?:\s*,\s*(?:the\s+)?(?!then\b|and\b)[a-z -]{3,25}){0,4}\s*,?\s+and\s+(?:the\s+)?[a-z -]{3,25}?(?=\s+(?:in|into|to|together|well|until|and)\b|[.;,)]|$)",
    re.I,
)
_EXCEPT = re.compile(
    r"^\s*[(,]?\s*(?:except|but(?: not)?|not|apart from|bar|other than|excluding|without|minus)\s+(?:for\s+)?(?:the\s+)?(?P<foods>[^.;,)]{2,60})\)?",
    re.I,
)


@dataclass(frozen=True, slots=True)
class SaidGroup:
    """A word for several lines at once ("the dry ingredients"), what it leaves out, and the part of the recipe that it names."""

    start: int
    end: int
    kind: Group
    part: str
    but: tuple[int, ...]


def said_groups(text: str, names: Names) -> Iterator[SaidGroup]:
    """Give every word of one step's *text* that speaks of several lines at once."""
    taken: list[tuple[int, int]] = []
    for kind, pattern in _GROUPS:
        for found in pattern.finditer(text):
            if any(a < found.end() and found.start() < b for a, b in taken):
                continue
            taken.append(found.span())
            but = _EXCEPT.match(text[found.end() :])
            listed = _AND_SO_ON.match(text, found.end() + but.end("foods")) if but else None
            foods = (but["foods"] + (listed[0] if listed else "")) if but else ""
            out = tuple({n for said in said_lines(foods, names) for n in said.closest(names)}) if but else ()
            named = found.groupdict()
            part = (named.get("part") or named.get("things") or "").strip().lower()
            # "everything but the nutmeg in a 1.5 litre dish": what is left out ends with its last food.
            last = said_lines(foods, names)[-1].end if but and out else 0
            end = found.end() + (but.start("foods") + last if but and out else 0)
            if kind == "all" and not but and (into := re.match(r"all\b(?=\s+in(?:to)?\b)", found[0], re.I)):
                end = found.start() + into.end()  # "put it all in a blender"
            end += len(re.match(r"\s*\)?", text[end:])[0].rstrip()) if but and "(" in but[0] else 0  # type: ignore[index]
            yield SaidGroup(found.start(), end, kind, "" if part in ("the", "of", "all", "other") else part, out)
