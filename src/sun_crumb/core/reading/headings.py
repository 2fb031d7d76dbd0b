"""Which lines head what follows: by their words, and by their form."""

from __future__ import annotations

import re
from collections.abc import Sequence
from functools import cache
from typing import Literal

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.run_on import IN_THE_BOWL
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reference import table

Section = Literal["", "ingredients", "method", "notes"]
# What a heading says its component is enough for: "Frosting (for 8 cupcakes)", "Glaze, makes enough for 6".
HEAD_YIELD = re.compile(
    r"[\s,–-]*[(\[]?\s*\b(?:(?:makes?|yields?|covers|serves|fills|tops)(?:\s+enough)?(?:\s+(?:for|to \w+))?|enough\s+(?:for|to\s+\w+)|for)"
    r"\s+(?:about\s+|up to\s+)?(?P<count>\d{1,3})\b(?!\s*(?:min|h\b|hour|g\b|ml|cm))[^)\]:]{0,30}[)\]]?(?=\s*:?\s*$)",
    re.I,
)
FOR_THE = re.compile(
    r"^(?:(?:for|to make|to finish)(?:\s+the)?|für (?:den|die|das)|pour (?:la|le|les)|per (?:la|il|lo|le)|para (?:la|el|los|las))\s+([^\W\d_][\w' -]{1,40}?)\s*:?$",
    re.I,
)
# "What you need for the base", "And for the lemon layer".
FOR_THE_PART = re.compile(r"\bfor\s+(?:the|our)\s+([^\W\d_][\w' -]{1,30})$", re.I)
# "Frosting (enough for 6)": a part of the dessert, and for how many it is enough.
_PART_FOR = re.compile(r"^([^\W\d_][^\d()]{1,30})\s*[(\[](?:makes?\s+)?(?:enough\s+)?for\s+[^()]*[)\]]\s*:?$", re.I)
# What is there for the end, as a heading over its foods.
_LAST_TOUCH = re.compile(
    r"(?:to|for) (?:serve|serving|decorate|decoration|finish|finishing|garnish|top|topping|assemble|assembly|coat|coating|glaze|dust)(?:\s+(?:you|we|i)\s+(?:take|need|use|want))?",
    re.I,
)
_OPTIONAL_PART = re.compile(
    r"^([^\W\d_][^\d()]{1,30}?)\s*[(\[](?:optional|if liked|if you like|(?:sprinkle|spread|pour|spoon|drizzle|dollop|pipe)\b[^\d()]{0,24}|(?:or|use|can|could)\s+(?:just\s+)?(?:buy|use|be|bought|shop|ready|an?\s+(?:shop|bought|ready))\b[^()\[\]]{0,40})[)\]]\s*:?$",
    re.I,
)
_ON_ITS_DAY = re.compile(
    r"^([^\W\d_][^\d()]{1,30}?)\s*[(\[](?:day|part|step|stage|evening|morning|night|the (?:day|night)|make|made|start|do)\b[^()\[\]]{0,24}[)\]]\s*:?$",
    re.I,
)
_USES = re.compile(r"\b(?:dusting|greasing|serving|rolling|brushing|sprinkling|frying|decorating|garnish)\b", re.I)


_COUNTS_INSIDE = re.compile(r"\([^)]*\d\s*(?:g|kg|lbs?|oz|cups?|ml|pints?|tsps?|tbsps?)\b")


@cache
def _phrases(kind: str) -> frozenset[str]:
    return frozenset(next(row["words"] for row in table("heading_words") if row["kind"] == kind).split(";"))


def heading_kind(text: str) -> Section | Literal["stage"]:
    """Return what a line announces by its words alone: the list, the method, notes, a stage; or nothing."""
    bare = (
        re.sub(r"\([^)]*\)", "", text)
        .strip(" *#_=:–—-.!>")
        .lower()
        .replace("’", "'")
        .replace("step-by-step", "step by step")
    )
    bare = re.sub(r"^(?:(?:step\s+)?\d+\s*[.)]|step\s+\d+\s*[-–—:])\s*", "", bare).strip()
    bare = re.sub(r"^t-?\d?,\s*", "", bare)  # "T-1, evening"
    if re.fullmatch(r"step\s+(?:\d{1,2}|one|two|three|four|five|six)", bare):
        return "method"
    for kind in ("ingredients", "method", "notes", "stage"):
        if kind == "stage" and _COUNTS_INSIDE.search(text):
            continue  # "sugar (1 lb for each pint)"
        if bare.replace(",", "") in _phrases(kind) or (kind != "stage" and bare.removeprefix("the ") in _phrases(kind)):
            return kind
    if _SO_MANY_INGREDIENTS.fullmatch(bare):
        return "ingredients"
    if IN_THE_BOWL.fullmatch(bare) or _WET_OR_DRY.fullmatch(bare):
        return "stage"
    if _is_over_a_list(bare):
        return "ingredients"
    if "/" in bare and (told := {heading_kind(part) for part in bare.split("/") if part.strip()} - {""}):
        return told.pop() if len(told) == 1 else ""  # "Zutaten / Ingredients"
    words = re.findall(r"[^\W\d_]+", bare)
    if (
        # "Now make it", "How we do it": a heading made of such words alone begins the method.
        2 <= len(words) <= 5
        and set(words) <= word_list("method") | word_list("little")
        and set(words) & word_list("making")
        and not re.search(r"\d", bare)
    ):
        return "method"
    return ""


def _is_over_a_list(bare: str) -> bool:
    """Return whether words say of the list what its measures or its tin are, or for how many it is."""
    return len(set(bare.split()) & _MEASURES) == len(bare.split()) > 1 or any(form.match(bare) for form in _OVER_A_LIST)


# What stands over a list that is for one of them all.
OF_ONE = r"(?:(?:for|per) (?:each )?(?:person|serving|portion|glass|bowl|jar|pot)|for each(?: (?:person|serving|portion|glass|bowl|jar|pot|apple|pear|peach|one))|each person)$"
_OVER_A_LIST = tuple(
    map(
        re.compile,
        (
            # "Ingredients for 1 cake, 12 slices"
            r"(?:the )?(?:ingredients|quantities|amounts|you'll need|you will need)\s+(?:for|makes)\s+(?:about |around |approx\.? )?(?:\d|one|two)",
            # "You will need for an 8-inch tin"
            r"(?:what )?you(?:['’]ll| will)? need\s+for\s+(?:an?|the|one|two|\d)\b[\w \"″'-]{0,30}$",
            # "Zutaten für 20 Stück", "Ingrédients pour 6 personnes"
            r"(?:zutaten|ingr[eé]dients|ingredienti|ingredientes|ingredienser|ingrediënten)\s+(?:für|pour|per|para|por|för|til|voor)\s+(?:ca\.?\s+|env\.?\s+|etwa\s+)?\d",
            # "Ingredienti per una tortiera da 24 cm", "Ingredients for a 26 cm tin"
            r"(?:the )?(?:ingredients|zutaten|ingr[eé]dients|ingredienti|ingredientes|ingredienser|ingrediënten)\s+(?:for|für|pour|per|para|por|för|til|voor)\s+(?:an?|one|un[ao]?|une|eine?n?|e[nt]t?|een|uma?)\s+[^\W\d_]",
            # "Für 4 Portionen brauchst du", "For 12 muffins you need"
            r"(?:for|für|pour|per|para)\s+(?:about |ca\.? )?\d{1,2}\s+[^\W\d_]+\s+(?:you(?:'ll)? (?:will )?need|you'll want|brauchst du|braucht man|benötigt man|benötigst du|il (?:vous )?faut|servono|ci vogliono|necesitas|se necesita)$",
            # "Per person"
            OF_ONE,
            # "Ingredients in grams"
            r"(?:the )?(?:ingredients|quantities|amounts|weights)\s+(?:are\s+)?(?:all\s+)?in\s+(?:g|grams|grammes|metric|ounces|cups)$",
            # "For a 23 cm springform"
            r"for (?:an?|one|two|\d) (?:\w+ )?\d{1,2}(?:\s?[x×]\s?\d{1,2})?\s?-?(?:cm|inch|in)\b[\w \"-]{0,24}$",
        ),
    )
)


def names_a_part(text: str) -> bool:
    """Return whether words name a part of a dessert, or what follows: "For the filling", "Meringue", "Method"."""
    bare = text.strip(" :.-–—").lower()
    last = re.findall(r"[^\W\d_]+", bare)[-1:]
    is_part = len(bare.split()) <= MOST_PART_WORDS and bool(last) and last[0] in word_list("component")
    return is_part or FOR_THE.match(bare) is not None or bool(heading_kind(bare))


MOST_PART_WORDS = 4
_MEASURES = frozenset({"cup", "metric", "imperial", "us", "measures", "measure", "measurements", "version", "weights"})
# "Only 4 ingredients!!"
_SO_MANY_INGREDIENTS = re.compile(
    r"(?:only|just)?\s*(?:\d{1,2}|two|three|four|five|six)\s+(?:[a-z]+\s+)?ingredients?(?:\s+only)?"
)
# Where the foods below it go: "on top"
PLACE = re.compile(
    r"(?:the )?(?!dry|wet|first|second|last|next|main|other|little)[a-z]{4,14} (?:part|bit)|(?:(?:to go |for )?on (?:the )?top|underneath|(?:what )?goes (?:on|in|at) the (?:bottom|top|middle|inside|outside)|(?:the )?(?:bottom|middle|top)(?: bit| part| layer)?|in between)",
    re.I,
)
# "Dry team", "The wet bits"
_WET_OR_DRY = re.compile(
    r"(?:the\s+)?(?:dry|wet|liquid)\s+(?:box|column|corner|pile|crew|ones|jug|pan|mixture|stage|list|section|team|bits?|things?|half|side|part|parts|bowl|lot|group|stuff|goods|items)"
)


def is_heading_form(raw: str, text: str) -> bool:
    """Return whether a line has the form of a heading: few words, and a colon, capitals or marks around them."""
    words = re.findall(r"[^\W\d_]+", text)
    if not 1 <= len(words) <= 7 or len(text) > 60:
        return False
    stripped = raw.strip()
    if (
        len(words) == 1
        and words[0][:1].isupper()
        and words[0].lower() in word_list("component") - word_list("deed_food")
    ):
        return True
    bare = text.strip(" :")
    if _LAST_TOUCH.fullmatch(bare):
        return True
    if bare[:1].isupper() and (named := FOR_THE_PART.search(bare)) and not re.search(r"\d", text):
        return not _USES.search(named[1])
    if found := FOR_THE.match(text.strip(" :")):
        if re.match(r"(?:about\s+)?\d", found[1]) and statements(text):
            return False  # "For about 6 hungry people"
        return stripped.endswith(":") or not _USES.search(found[1])
    if re.search(r"(?::|\s[-–—]|:[-–—])$", stripped) or re.match(r"#|==|--|~(?!\s*\d)", stripped):
        return True
    return text.isupper() and len(words) <= 5 and not re.search(r"\d", text)


def marks_of_headings(raw: str, text: str, words: Sequence[str], known: Known) -> set[str]:
    """Return the marks of a heading that a statement shows: what it announces, the form of one, a part's name."""
    kind = heading_kind(text)
    if re.search(
        r"\bfor\s+\w+ing$|\w\s+for\s+garnish$|,\s*to\s+(?:serve|finish|decorate|dust|sprinkle|glaze|garnish)$", text
    ):
        return set()  # "icing sugar, for dusting"; "shortbread, to serve"
    if known.has_food and AT_LAST.search(text) and not raw.rstrip().endswith(":"):
        return set()  # "berries to serve"
    found: set[str] = {f"heading_{kind}"} if kind and kind != "stage" else set()
    if aside := _OPTIONAL_PART.match(text):
        # "Glaze (optional)", "Crust (or buy one, 9 inch)"
        text = raw = aside[1]
        words = re.findall(r"[^\W\d_]+", text)
        found |= _SURE_PART if words[-1].lower() in word_list("component") else set()
    if when := _ON_ITS_DAY.match(text):
        # "DOUGH (day 1)"
        text, raw = when[1], when[1]
        words = re.findall(r"[^\W\d_]+", text)
    if re.match(r"(?:for|to make)\s+the\b", text, re.I) and (many := HEAD_YIELD.search(text)):
        # "For the shortbread (makes about 18 fingers)"
        text = text[: many.start()]
        words = re.findall(r"[^\W\d_]+", text)
    found |= _SURE_PART if kind == "stage" else set()
    is_shouted_food = (
        known.food and text.isupper() and not raw.rstrip().endswith(":") and text.lower() not in word_list("component")
    )
    if is_heading_form(raw, text) and not (known.has_amount and known.has_unit) and not is_shouted_food:
        found.add("heading_form")
    if len(words) <= 4 and not known.has_amount and fold(words[-1]) in word_list("component"):
        found.add("heading_word")
    if (part := _PART_FOR.match(text)) and part[1].split()[-1].lower() in word_list("component"):
        found |= _SURE_PART
    return found


_SURE_PART = frozenset({"heading_word", "heading_form"})


# "slivered almonds and pistachios, for garnish"
AT_LAST = re.compile(
    r"\b(?:for|to)\s+(?:garnish|serve|serving|dust|dusting|decorate|finish|top|topping|drizzle|sprinkle)$", re.I
)
