"""What a statement of a text shows by itself: marks of a heading, of food with an amount, of a step, of portions, of chatter."""

from __future__ import annotations

import re
from collections.abc import Sequence, Set
from dataclasses import dataclass, replace
from functools import cache
from typing import Literal

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.portion_asides import SUCH_FOR, bare_count, said_in
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.remembered import remembered
from sun_crumb.core.reading.run_on import IN_THE_BOWL
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reference import table

Section = Literal["", "ingredients", "method", "notes"]
_STEP_NUMBER = re.compile(
    r"^\s*(?:step\s*)?(?:\d{1,2}|[ivx]{1,4})\s*[.):/\-–]\s*(?=\D)|^\s*step\s+\w+\s*[:.\-–]?\s*", re.I
)
# "2 Butter and flour 8 tins": a number with nothing behind it, before what is to be done.
_BARE_NUMBER = re.compile(r"^\s*\d{1,2}\s+(?=([A-Z][a-z]+)\b)")
_DURATION = re.compile(
    r"\b(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|chill(?:ing)?|rest(?:ing)?|active|hands[- ]on|ready|inactive|cooling|freez(?:e|ing)|setting|proving)"
    r"(?:\s+time)?\s*(?:in\b)?\s*[:=\-–]?\s*(?:about\s+|overnight|\d)",
    re.I,
)
_SENTENCE_END = re.compile(r"[.!?]\s+(?=[^\W\d_])")
_TEMPERATURE = re.compile(
    r"\b\d{3}\s*(?:°|º|deg(?:rees)?\b\.?)\s*(?:[CF]\b)?|\b\d{3}\s?[CF]\b|\bgas\s*(?:mark\s*)?\d\b|^\W*fan\s+\d{3}\b|\b1[2-9]\d\s*fan\b|\b2[0-4]\d\s*fan\b",
    re.I,
)
_TIME_ONLY = re.compile(
    r"^\W*(?:tempo|temps|zeit|dauer|tid|tiempo)(?: [^\W\d_]+){0,2}\s*[:=]\s*\d.{0,30}$|^\W*(?:time\s*[:=]\s*)?(?:about\s+)?\d+[\s\d–-]*(?:min(?:ute)?s?|h(?:ou)?rs?|h)\b(?:\s*(?:and\s+)?\d+\s*min\w*)?(?:\s*\([^()]*\))?\W*$",
    re.I,
)
# What a heading says its component is enough for: "Frosting (for 8 cupcakes)", "Glaze, makes enough for 6".
HEAD_YIELD = re.compile(
    r"[\s,–-]*[(\[]?\s*\b(?:(?:makes?|yields?|covers|serves|fills|tops)(?:\s+enough)?(?:\s+(?:for|to \w+))?|enough\s+(?:for|to\s+\w+)|for)"
    r"\s+(?:about\s+|up to\s+)?(?P<count>\d{1,3})\b(?!\s*(?:min|h\b|hour|g\b|ml|cm))[^)\]:]{0,30}[)\]]?(?=\s*:?\s*$)",
    re.I,
)
FOR_THE = re.compile(r"^(?:for|to make|to finish)(?:\s+the)?\s+([^\W\d_][\w' -]{1,40}?)\s*:?$", re.I)
# "What you need for the base", "And for the lemon layer".
FOR_THE_PART = re.compile(r"\bfor\s+(?:the|our)\s+([^\W\d_][\w' -]{1,30})$", re.I)
# "Frosting (enough for 6)": a part of the dessert, and for how many it is enough.
_PART_FOR = re.compile(r"^([^\W\d_][^\d()]{1,30})\s*[(\[](?:makes?\s+)?(?:enough\s+)?for\s+[^()]*[)\]]\s*:?$", re.I)
# What is there for the end, as a heading over its foods.
_LAST_TOUCH = re.compile(
    r"(?:to|for) (?:serve|serving|decorate|decoration|finish|finishing|garnish|top|topping|assemble|assembly|coat|coating|glaze|dust)",
    re.I,
)
_OPTIONAL_PART = re.compile(
    r"^([^\W\d_][^\d()]{1,30}?)\s*[(\[](?:optional|if liked|if you like|(?:sprinkle|spread|pour|spoon|drizzle|dollop|pipe)\b[^\d()]{0,24})[)\]]\s*:?$",
    re.I,
)
_ON_ITS_DAY = re.compile(
    r"^([^\W\d_][^\d()]{1,30}?)\s*[(\[](?:day|part|step|stage|evening|morning|night|the (?:day|night)|make|made|start|do)\b[^()\[\]]{0,24}[)\]]\s*:?$",
    re.I,
)
_USES = re.compile(r"\b(?:dusting|greasing|serving|rolling|brushing|sprinkling|frying|decorating|garnish)\b", re.I)


@dataclass(frozen=True, slots=True)
class Known:
    """What the pantry says of a statement: whether it holds an amount, with a unit or a bare count, and a food."""

    has_food: bool
    has_amount: bool
    has_unit: bool
    is_behind: bool
    is_only_amount: bool
    # The food that the whole name is, where it is one.
    food: str = ""


@cache
def _phrases(kind: str) -> frozenset[str]:
    return frozenset(next(row["words"] for row in table("heading_words") if row["kind"] == kind).split(";"))


@cache
def _page(kind: str) -> re.Pattern[str]:
    words = next(row["words"] for row in table("page_words") if row["kind"] == kind).split(";")
    parts = (re.escape(w) if re.search(r"\W$|^\W", w) else rf"\b{re.escape(w)}\b" for w in words)
    return re.compile("|".join(parts), re.I)


@cache
def _first_letters(kind: str) -> frozenset[str]:
    """Return the words that the phrases of a kind begin with, one of which is in every text that says one."""
    phrases = next(row["words"] for row in table("page_words") if row["kind"] == kind).split(";")
    return frozenset(_LETTERS.findall(phrase)[0].lower() for phrase in phrases)


_LETTERS = re.compile(r"[^\W\d_]+")


def _says(kind: str, text: str) -> bool:
    """Return whether *text* holds a phrase of a kind; its words are looked up before it is searched."""
    return not _first_letters(kind).isdisjoint(_LETTERS.findall(text.lower())) and bool(_page(kind).search(text))


def heading_kind(text: str) -> Section | Literal["stage"]:
    """Return what a line announces by its words alone: the list, the method, notes, a stage; or nothing."""
    bare = re.sub(r"\([^)]*\)", "", text).strip(" *#_=:–—-.!>").lower().replace("’", "'")
    bare = re.sub(r"^(?:(?:step\s+)?\d+\s*[.)]|step\s+\d+\s*[-–—:])\s*", "", bare).strip()
    if re.fullmatch(r"step\s+(?:\d{1,2}|one|two|three|four|five|six)", bare):
        return "method"
    for kind in ("ingredients", "method", "notes", "stage"):
        if bare in _phrases(kind) or (kind != "stage" and bare.removeprefix("the ") in _phrases(kind)):
            return kind
    if len(set(bare.split()) & _MEASURES) == len(bare.split()) > 1:
        return "ingredients"  # "Cup measures", over the list
    if IN_THE_BOWL.fullmatch(bare) or _WET_OR_DRY.fullmatch(bare):
        return "stage"
    if re.match(
        r"(?:the )?(?:ingredients|quantities|amounts|you'll need|you will need)\s+(?:for|makes)\s+(?:about |around |approx\.? )?(?:\d|one|two)",
        bare,
    ):
        return "ingredients"  # "Ingredients for 1 cake, 12 slices"
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


_MEASURES = frozenset({"cup", "metric", "imperial", "us", "measures", "measure", "measurements", "version", "weights"})
# "Dry team", "The wet bits"
_WET_OR_DRY = re.compile(
    r"(?:the\s+)?(?:dry|wet|liquid)\s+(?:team|bits?|things?|half|side|part|parts|bowl|lot|group|stuff|goods|items)"
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


# "1 tin loquats in syrup": what comes in a tin is food, also where nobody knows it.
_TIN_OF = re.compile(
    r"[\s\w.,x×½()]*?\d[\s\w.,x×½()]*?\b(?:tins?|cans?|jars?)\)?\s+(?:of\s+)?(?!(?:lined?|liners?|greased|opener|foil|paper|base|lid|for|with|about|or)\b)[a-z]{3,}",
    re.I,
)


def marks_of(statement: Statement, known: Known) -> frozenset[str]:
    """Return the marks of a statement by itself."""
    return _marks(statement.raw, statement.text, known)


@remembered
def _marks(raw: str, text: str, known: Known) -> frozenset[str]:
    """Return the marks of a statement as it stands and cleaned, with what the pantry says of it."""
    words = re.findall(r"[^\W\d_]+(?:['’][^\W\d_]+)?", text)
    if (_RATING.search(text) and len(words) <= 6) or _is_trail(text) or _OF_NO_RECIPE.fullmatch(raw.strip()):
        return frozenset({"junk_word", "short"})
    if not words and bare_count(text):
        return frozenset({"portions", "short"})  # "(12)", under the name
    if not words:
        return frozenset({"amount_only"} if known.has_amount else {"wordless"})
    if len(words) == 1 and not re.search(r"\d", text):
        # "Drizzle" alone is a part of a dessert, and no amount of anything.
        known = replace(known, has_amount=False, has_unit=False, is_behind=False, is_only_amount=False)
    is_timed = bool(_TIME_FIRST.match(text))
    if is_timed or _HEAT_FIRST.match(text):
        # "50 min, until golden" is no food, "190C. Mix the dry things" no 190 cups.
        known = Known(False, False, False, False, False)
    if for_tin := _for_a_tin(text):
        return frozenset({for_tin})
    if _is_of_portions(text):
        return frozenset({"portions", "short"})
    method = _method_marks(raw, text, words, known)
    found = (
        _heading_marks(raw, text, words, known)
        | method
        | _amount_marks(known, text, words, is_step="imperative" in method)
    )
    found |= _kinds_of_words(raw, text, words) | (
        {"imperative"} if is_timed and len(words) > LEAST_OF_A_DEED else set()
    )
    found -= _overruled(found, text, words, known)
    is_heading = bool(found & {"heading_form", "heading_ingredients"})
    if "heading_form" in found:
        found.discard("personal")  # "What you'll need for the base"
    found |= _portion_marks(text, words, is_heading=is_heading, has_food=known.has_food)
    if raw.rstrip().endswith("?"):
        found.add("asks")
    found.add("long" if len(words) >= 15 else "short" if len(words) <= 4 else "plain")
    return frozenset(found - {"plain"})


def _is_of_portions(text: str) -> bool:
    """Return whether a line tells its portions and nothing of a food: "Cake for 10", "SERVES SIX"."""
    if re.fullmatch(r"\W*for\s+(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve)\W*", text, re.I):
        return True
    if re.fullmatch(r"(?:makes|serves|yields?|feeds|servings?|portions?)\W*0+", text, re.I):
        return True  # it makes none: no number of portions, and no food
    is_shouted = _SHOUTED_YIELD.fullmatch(text) is not None and bool(statements(text))
    return SUCH_FOR.fullmatch(text) is not None or is_shouted or _so_many_and_so_long(text)


def _for_a_tin(text: str) -> str:
    """Return the mark of a line that tells what it is baked in: portions where a count stands behind ("for a 2 lb tin, 12 slices"), else a tool; nothing of another."""
    if not _FOR_A_TIN.match(text) or re.search(r"[.;]\s+\S", text):
        return ""
    return "portions" if statements(f"makes {text}") or bare_count(_FOR_A_TIN.sub("", text)) else "junk_word"


def _overruled(found: Set[str], text: str, words: Sequence[str], known: Known) -> set[str]:
    """Return the marks that a line's other ones, or its food, say are none."""
    over: set[str] = set()
    if (
        "imperative" in found
        and len(words) > LEAST_OF_A_DEED + 1
        and re.search(r"\b(?:the|till|until|then|together)\b", text)
    ):
        over.add("plain_food")  # "Warm the milk and malt"
    if "imperative" in found and _ON_IT.match(text):
        over |= {"plain_food", "counted"}  # "Dot with butter", "Zest the lemons"
    if known.has_food and (known.has_amount or "tool" not in found):
        over |= {"tool", "personal", "junk_word", "works"}
    if known.has_unit and _TIN_OF.match(text):
        over.add("tool")
    if known.has_unit and known.has_food and not known.is_behind and not found & {"imperative", "sentences"}:
        over.add("temperature")  # "1 c. warm milk (110 F)"
    return over


def _so_many_and_so_long(text: str) -> bool:
    """Return whether a line tells how many it makes, and how long that takes: "4 pots / 10 min + 3 h fridge"."""
    first, *rest = re.split(r"\s[/|·]\s", text)
    return (
        bool(rest)
        and bare_count(first) is not None
        and all(re.search(r"\b\d+\s*(?:min|h\b|hrs?|hours?)", r) for r in rest)
    )


def _heading_marks(raw: str, text: str, words: Sequence[str], known: Known) -> set[str]:
    kind = heading_kind(text)
    if re.search(
        r"\bfor\s+\w+ing$|\w\s+for\s+garnish$|,\s*to\s+(?:serve|finish|decorate|dust|sprinkle|glaze|garnish)$", text
    ):
        return set()  # "icing sugar, for dusting"; "shortbread, to serve"
    if known.has_food and _AT_LAST.search(text) and not raw.rstrip().endswith(":"):
        return set()  # "berries to serve"
    found: set[str] = {f"heading_{kind}"} if kind and kind != "stage" else set()
    if aside := _OPTIONAL_PART.match(text):
        # "Glaze (optional)"
        text = aside[1]
        words = re.findall(r"[^\W\d_]+", text)
    if when := _ON_ITS_DAY.match(text):
        # "DOUGH (day 1)"
        text, raw = when[1], when[1]
        words = re.findall(r"[^\W\d_]+", text)
    if re.match(r"(?:for|to make)\s+the\b", text, re.I) and (many := HEAD_YIELD.search(text)):
        # "For the shortbread (makes about 18 fingers)"
        text = text[: many.start()]
        words = re.findall(r"[^\W\d_]+", text)
    if kind == "stage":
        found |= {"heading_word", "heading_form"}
    is_shouted_food = (
        known.food and text.isupper() and not raw.rstrip().endswith(":") and text.lower() not in word_list("component")
    )
    if is_heading_form(raw, text) and not (known.has_amount and known.has_unit) and not is_shouted_food:
        found.add("heading_form")
    if len(words) <= 4 and not known.has_amount and words[-1].lower() in word_list("component"):
        found.add("heading_word")
    if (part := _PART_FOR.match(text)) and part[1].split()[-1].lower() in word_list("component"):
        found |= {"heading_word", "heading_form"}
    return found


# "slivered almonds and pistachios, for garnish"
_AT_LAST = re.compile(
    r"\b(?:for|to)\s+(?:garnish|serve|serving|dust|dusting|decorate|finish|top|topping|drizzle|sprinkle)$", re.I
)


def _amount_marks(known: Known, text: str, words: Sequence[str], *, is_step: bool) -> set[str]:
    if known.is_only_amount:
        return {"amount_only"}
    if not known.has_amount:
        is_short = len(words) <= 6 or _AT_LAST.search(" ".join(words)) is not None
        return {"plain_food"} if known.has_food and is_short else set()
    if known.is_behind:
        is_within = words[0].lower() in _WITHIN and words[0][:1].islower()
        return (
            set()
            if is_step or is_within or (len(words) > 8 and not _SOON_BEHIND.match(text))
            else {"weighed_behind" if known.has_food else "weighed_unknown"}
        )
    name = "weighed" if known.has_unit else "counted"
    return {name if known.has_food else f"{name}_unknown"}


# "Dark choc 100g chopped - half in, half on top": its amount, soon behind its name, whatever follows.
_SOON_BEHIND = re.compile(r"(?:[^\W\d_]+\s+){1,3}\d[\d.,/½¼¾]*\s*(?:g|kg|ml|oz|cups?|tbsps?|tsps?)\b[^.]{0,60}$", re.I)
# "for a 2 lb tin • about 12 slices"
_FOR_A_TIN = re.compile(
    r"\W*(?:for|fits|fills|to fit|to fill)\s+(?:an?|one|two|1|2|your|the)\s+[^.;,•|]{0,30}?\b(?:tins?|pans?|dish(?:es)?|moulds?|molds?|basin|trays?)\b\s*[,•|·–-]*\s*",
    re.I,
)
# What stands in the middle of a sentence, and before no food of a list.
_WITHIN = frozenset(
    [
        "over",
        "into",
        "onto",
        "in",
        "on",
        "with",
        "the",
        "then",
        "until",
        "to",
        "of",
        "and",
        "for",
        "at",
        "from",
        "by",
        "as",
        "it",
    ]
)


def _method_marks(raw: str, text: str, words: Sequence[str], known: Known) -> set[str]:
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
        and (all(fold(word) in word_list("verb") for word in words) or bool(_DURATION.search(text)))
    )
    is_told = len(words) >= 3 or is_pair or _SO_LONG_OR_HOT.fullmatch(rest) is not None
    if first and fold(first[0]) in word_list("verb") and is_told and not begins_amount:
        found.add("imperative")
    if first and fold(first[0]) in word_list("deed_noun") and len(words) >= 3 and _ON_IT.match(rest[first.start() :]):
        found.add("imperative")  # "Zest the lemons", and no "zest of 1 lemon"
    last = _DEED_LAST.fullmatch(rest.strip())
    if last and fold(last[1]) in word_list("verb") - word_list("deed_food") and not known.has_amount:
        found.add("imperative")  # "fruit in a dish, mix"
    # "1 c. warm milk": a shortened unit ends no sentence.
    amount = read_amount(text) if begins_amount else None
    if _SENTENCE_END.search(text[amount[1] :] if amount else text):
        found.add("sentences")
    if _TEMPERATURE.search(text) or re.search(r"^oven\s*[:=]|\b(?:slow|cool|moderate|medium|hot)\s+oven\b", text, re.I):
        found.add("temperature")
    return found


_ON_IT = re.compile(
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
_SHOUTED_YIELD = re.compile(r"(?:SERVES|MAKES|FEEDS|YIELDS)\s+(?:ABOUT\s+)?[A-Z-]+(?:\s+[A-Z]+)?")
_MADE_IN_MEASURE = re.compile(
    r"(?:makes?|yields?)\s*:?\s*(?:about\s+|approx(?:\.|imately)?\s+|~\s*)?[\d½⅓⅔¼¾.,/ ]+\s*(?:-\s*\d+\s*)?(?:cups?|ml|l|litres?|liters?|pints?|quarts?|oz|g|kg|lbs?)\b[^\d]{0,20}$",
    re.I,
)


def _portion_marks(text: str, words: Sequence[str], *, is_heading: bool, has_food: bool) -> set[str]:
    text = re.sub(r"^\((for\s[^()]+)\)$", r"\1", text.strip(), flags=re.I)
    if re.match(r"for\s+\d", text, re.I) and (said := said_in(text.rstrip(" :"))) and said.count and said.count.kind:
        return {"portions"}  # "For 12 buns:"
    if re.fullmatch(r"for\s+(?:about\s+)?(?:[2-9]|1\d|2[0-4])(?:\s*(?:-|–|to)\s*\d{1,2})?", text, re.I):
        return {"portions"}  # "(for 4)"
    if _MADE_IN_MEASURE.match(text):
        return {"portions"}  # "Makes: approx 4 cups"
    if bare_count(text) and not is_heading:
        return {"portions_bare" if has_food else "portions"}
    if re.match(r"for\b", text, re.I) and not is_heading and (said := said_in(text)) and said.count:
        return {"portions"}  # "For 6 ramekins"
    if not statements(text):
        return set()
    is_alone = len(words) <= 9 and not is_heading and not _SENTENCE_END.search(text)
    return {"portions" if is_alone else "portions_within"}


def _kinds_of_words(raw: str, text: str, words: Sequence[str]) -> set[str]:
    kinds = (("junk_word", "junk"), ("keeping", "keeping"), ("works", "works"), ("personal", "personal"))
    # "Carrot traybake (about 200 kcal a square)": what a bracket adds makes no name a label.
    outside = re.sub(r"\([^()]*\)", " ", text)
    told = outside if len(outside.split()) > 1 else text
    found = {mark for mark, kind in kinds if _says(kind, told)}
    if _says("tool", re.split(r"[,(]|\bfor\b", text)[0]):
        found.add("tool")
    if _TIME_ONLY.match(text) or (_DURATION.search(text) and len(words) <= 14 and not _is_told(text, words)):
        found.add("time")
    if len(words) <= 8 and _page("credit").match(text.strip(" ~*_=.-–—")):
        found.add("credit")
    if _FOOTNOTE.match(raw.strip()):
        found.add("footnote")
    if _page("note").match(raw.strip()) and not _TIPPED.match(raw.strip()):
        found.add("note_word")
    if (raw.lstrip()[:1].islower() and not _AT_LAST.search(text)) or raw.lstrip()[:1] in "(&":
        found.add("lower_start")
    return found


# "— 47 —", "Date: 3 Feb"
_OF_NO_RECIPE = re.compile(
    r"date\s*:\s*\d.{0,24}|\W*[-–—]\s*\d{1,3}\s*[-–—]\W*|(?:page|p\.?|pg\.?)\s*\d{1,3}(?:\s*(?:of|/)\s*\d{1,3})?(?:\s*[-–—:|]\s*[A-Z][A-Z ]{2,24})?",
    re.I,
)


def _is_told(text: str, words: Sequence[str]) -> bool:
    """Return whether what names a time is something to do: "Mix, rest 10 minutes, fry 2 minutes a side" is no time told ahead."""
    first = fold(words[0])
    return bool(_TOLD_WITH.search(text)) or (first in word_list("verb") and not _TIMED_DEED.match(first))


_HEAT_FIRST = re.compile(r"[1-5]\d\d\s?[°º]?\s?[CF]\b(?!\.?\s+(?:of\s|[a-z]+\s+(?:flour|sugar|milk)))")
_TIMED_DEED = re.compile(r"(?:prep|cook|bak|chill|rest|cool|freez|set|prov|rise|soak|wait|stand)")
_TIME_FIRST = re.compile(r"\d{1,3}(?:\s*(?:-|–|to)\s*\d{1,3})?\s*(?:min(?:ute)?s?|hours?|hrs?)\b", re.I)
# "Tip into a tub and freeze": poured, and no tip.
_TIPPED = re.compile(r"\W*tip\s+(?:(?:in)?to|onto?|in|out|over|everything|all|it|the|this|them|half)\b", re.I)
# "Blind bake 15 minutes with beans, then 5 without": done, and no time told ahead.
_TOLD_WITH = re.compile(r"\b(?:then|until|till|without|with)\b|^\W*blind\b", re.I)
# "*No buttermilk? Add lemon juice to milk."
_FOOTNOTE = re.compile(r"\*(?!\*)\s?(?:no|if|note|or|you|can|see|for|don[’']t)\b[^*]{8,}", re.I)
# Where a page stands among the others of its site.
_FROM_HOME = re.compile(r"(?:home|recipes|blog)\s*[/|»›>]\s*[^\W\d_][^.!?\d]{2,80}$", re.I)
_TRAIL = re.compile(r"[^\W\d_][\w&' -]{1,30}(?:\s*[»›>]\s*[^\W\d_][\w&' -]{1,40}){1,5}")


def _is_trail(text: str) -> bool:
    """Return whether a line is where a page stands among the others, and no row of deeds: "blend > fry > eat"."""
    if _FROM_HOME.match(text):
        return True
    return _TRAIL.fullmatch(text) is not None and fold(text.split()[0]) not in word_list("verb")


# "4.8 stars (312 ratings)"
_RATING = re.compile(r"\b\d(?:[.,]\d)?\s*(?:stars?\b(?!\s+anise)|/\s*5\b)|\b\d+\s+(?:ratings|reviews|votes)\b", re.I)


def is_asking(text: str) -> bool:
    """Return whether a line is the word for portions alone, its number still to come."""
    return bool(
        re.fullmatch(r"\W*(?:servings?|serves|portions?|yields?|makes|number of (?:servings|portions))\W*", text, re.I)
    )
