"""What a statement of a text shows by itself: marks of a heading, of food with an amount, of a step, of portions, of chatter."""

from __future__ import annotations

import re
from collections.abc import Sequence, Set
from dataclasses import replace
from functools import cache

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.reading.deeds import DURATION, LEAST_OF_A_DEED, ON_IT, SENTENCE_END, marks_of_deeds
from sun_crumb.core.reading.headings import AT_LAST, marks_of_headings
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.physical import Statement
from sun_crumb.core.reading.portion_asides import SUCH_FOR, bare_count, said_in
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.remembered import remembered
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reference import table

_TIME_ONLY = re.compile(
    r"^\W*(?:tempo|temps|zeit|dauer|tid|tiempo)(?: [^\W\d_]+){0,2}\s*[:=]\s*\d.{0,30}$|^\W*(?:time\s*[:=]\s*)?(?:about\s+)?\d+[\s\d–-]*(?:min(?:ute)?s?|h(?:ou)?rs?|h)\b(?:\s*(?:and\s+)?\d+\s*min\w*)?(?:\s*(?:\+|plus|and)\s*(?:[a-z]+\s?){1,3})?(?:\s*\([^()]*\))?\W*$",
    re.I,
)


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
    is_timed, is_heated = bool(_TIME_FIRST.match(text)), bool(_HEAT_FIRST.match(text))
    if is_timed or is_heated:
        # "50 min, until golden" is no food, "190C. Mix the dry things" no 190 cups.
        known = Known(False, False, False, False, False)
    if told := _told_by_its_form(text, known):
        return told
    method = marks_of_deeds(raw, text, words, known)
    found = (
        marks_of_headings(raw, text, words, known)
        | method
        | _amount_marks(known, text, words, is_step="imperative" in method)
    )
    found |= _kinds_of_words(raw, text, words) | (
        {"imperative"} if is_timed and len(words) > LEAST_OF_A_DEED else {"temperature"} if is_heated else set()
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


def _told_by_its_form(text: str, known: Known) -> frozenset[str]:
    """Return the marks of a line whose form leaves no doubt: a tin, portions, deeds in a row; none of another."""
    if for_tin := _for_a_tin(text):
        return frozenset({for_tin})
    if _is_of_portions(text):
        return frozenset({"portions", "short"})
    return frozenset({"imperative"}) if not known.has_food and _is_deeds_in_turn(text) else frozenset()


def _is_deeds_in_turn(text: str) -> bool:
    """Return whether a line tells one deed after the other: "Crush & melt; whip; layer in 6 glasses"."""
    told = [part for part in re.split(r"\s*(?:[;,&]|\band\b)\s*", text) if part.strip(" .")]
    done = sum(fold(part.split()[0].strip(".:")) in word_list("verb") | word_list("deed_noun") for part in told)
    return done == len(told) >= LEAST_DEEDS


# So many deeds in a row are no food [1].
LEAST_DEEDS = 3


def _is_of_portions(text: str) -> bool:
    """Return whether a line tells its portions and nothing of a food: "Cake for 10", "SERVES SIX"."""
    if re.fullmatch(
        r"\W*for\s+(?:(?:about\s+)?\d{1,2}(?:\s*(?:-|–|to)\s*\d{1,2})?|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\W*",
        text,
        re.I,
    ):
        return True
    if re.fullmatch(r"(?:makes|serves|yields?|feeds|servings?|portions?|how many)\W*0+(?:\s+[^\W\d_]+)?", text, re.I):
        return True  # it makes none: no number of portions, and no food
    if re.fullmatch(
        r"\W*(?:about|approx\.?|around|roughly|ca\.?|circa)\s+(?:[4-9]|[1-9]\d|six|eight|ten|twelve|twenty|thirty)\W*",
        text,
        re.I,
    ):
        return True  # "about 24", below the name
    if (tagged := _TAGGED.fullmatch(text)) and statements(tagged[1]):
        return True
    is_shouted = _SHOUTED_YIELD.fullmatch(text) is not None and bool(statements(text))
    return SUCH_FOR.fullmatch(text) is not None or is_shouted or _so_many_and_so_long(text)


def _for_a_tin(text: str) -> str:
    """Return the mark of a line that tells what it is baked in: portions where a count stands behind ("for a 2 lb tin, 12 slices"), else a tool; nothing of another."""
    if not _FOR_A_TIN.match(text) or re.search(r"[.;]\s+\S", text):
        return ""
    return "portions" if statements(f"makes {text}") or bare_count(_FOR_A_TIN.sub("", text)) else "junk_word"


# "Flourless. Serves 12-14", "No bake! Makes 9 bars"
_TAGGED = re.compile(
    r"\W*(?-i:[A-Z])(?:[^\W\d_]|-)+(?: [^\W\d_]+)?[.!]\s+((?:serves|makes|feeds|yields|cuts into|enough for)\b[^.;]{1,40})\W*",
    re.I,
)
_NEXT_DEED = re.compile(r",\s*([^\W\d_]+)\s+[^\W\d_]")


def _overruled(found: Set[str], text: str, words: Sequence[str], known: Known) -> set[str]:
    """Return the marks that a line's other ones, or its food, say are none."""
    over: set[str] = set()
    if (
        "imperative" in found
        and len(words) > LEAST_OF_A_DEED + 1
        and (
            re.search(r"\b(?:the|till|until|then|together)\b", text)
            # "Mix, press in 9x13": one deed and another
            or (not known.has_amount and any(fold(w) in word_list("verb") for w in _NEXT_DEED.findall(text)))
        )
    ):
        over.add("plain_food")  # "Warm the milk and malt"
    if "imperative" in found and not known.has_amount and all(fold(word) in word_list("verb") for word in words):
        over.add("plain_food")  # "Poach, blend, cool, churn"
    if "imperative" in found and ON_IT.match(text):
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


def _amount_marks(known: Known, text: str, words: Sequence[str], *, is_step: bool) -> set[str]:
    if known.is_only_amount:
        return {"amount_only"}
    if not known.has_amount:
        is_short = len(words) <= 6 or AT_LAST.search(" ".join(words)) is not None
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
    r"\W*(?:for|fits|fills|to fit|to fill)\s+(?:an?|one|two|1|2|your|the)\s+[^.;,•|]{0,30}?\b(?:tins?|pans?|dish(?:es)?|moulds?|molds?|basin|trays?|pies?|batch(?:es)?)\b\s*[,•|·–-]*\s*",
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
_SHOUTED_YIELD = re.compile(r"(?:SERVES|MAKES|FEEDS|YIELDS)\s+(?:ABOUT\s+)?[A-Z-]+(?:\s+[A-Z]+)?")
_MADE_IN_MEASURE = re.compile(
    r"(?:makes?|yields?)\s*:?\s*(?:about\s+|approx(?:\.|imately)?\s+|~\s*)?[\d½⅓⅔¼¾.,/ ]+\s*(?:-\s*\d+\s*)?(?:cups?|ml|l|litres?|liters?|pints?|quarts?|oz|g|kg|lbs?)\b[^\d]{0,20}$",
    re.I,
)


# "about 12 slices, serve buttered"
_COUNT_THEN_HOW = re.compile(
    r"((?:about |around |approx\.? |makes )?\d{1,3} (?:slices|pieces|squares|portions|servings|bars|wedges))(?:, (?:serve|eat|keep|nice|good|best|freez|no |each|about)[^\d]{2,40}|,? buttered)\W*",
    re.I,
)


def _portion_marks(text: str, words: Sequence[str], *, is_heading: bool, has_food: bool) -> set[str]:
    text = re.sub(r"^[(\[{](for\s[^()]+)[)\]}]$", r"\1", text.strip(), flags=re.I)
    if re.match(r"for\s+\d", text, re.I) and (said := said_in(text.rstrip(" :"))) and said.count and said.count.kind:
        return {"portions"}  # "For 12 buns:"
    if re.fullmatch(r"for\s+(?:about\s+)?(?:[2-9]|1\d|2[0-4])(?:\s*(?:-|–|to)\s*\d{1,2})?", text, re.I):
        return {"portions"}  # "(for 4)"
    if _MADE_IN_MEASURE.match(text):
        return {"portions"}  # "Makes: approx 4 cups"
    if bare_count(text) and not is_heading:
        return {"portions_bare" if has_food else "portions"}
    if (told := _COUNT_THEN_HOW.fullmatch(text)) and bare_count(told[1]) and not is_heading:
        return {"portions"}
    if re.match(r"for\b", text, re.I) and not is_heading and (said := said_in(text)) and said.count:
        return {"portions"}  # "For 6 ramekins"
    if not statements(text):
        return set()
    is_alone = len(words) <= 9 and not is_heading and not SENTENCE_END.search(text)
    return {"portions" if is_alone else "portions_within"}


def _kinds_of_words(raw: str, text: str, words: Sequence[str]) -> set[str]:
    kinds = (("junk_word", "junk"), ("keeping", "keeping"), ("works", "works"), ("personal", "personal"))
    # "Carrot traybake (about 200 kcal a square)": what a bracket adds makes no name a label.
    outside = re.sub(r"\([^()]*\)", " ", text)
    told = outside if len(outside.split()) > 1 else text
    found = {mark for mark, kind in kinds if _says(kind, told)}
    if _says("tool", re.split(r"[,(]|\bfor\b", text)[0]):
        found.add("tool")
    if _TIME_ONLY.match(text) or (DURATION.search(text) and len(words) <= 14 and not _is_told(text, words)):
        found.add("time")
    if len(words) <= 8 and _page("credit").match(text.strip(" ~*_=.-–—")):
        found.add("credit")
    if _FOOTNOTE.match(raw.strip()):
        found.add("footnote")
    if _page("note").match(raw.strip()) and not _TIPPED.match(raw.strip()):
        found.add("note_word")
    if (raw.lstrip()[:1].islower() and not AT_LAST.search(text)) or raw.lstrip()[:1] in "(&":
        found.add("lower_start")
    return found


# "— 47 —", "Date: 3 Feb"
_OF_NO_RECIPE = re.compile(
    r"date\s*:\s*\w.{0,24}|\W*[-–—]\s*\d{1,3}\s*[-–—]\W*|(?:page|p\.?|pg\.?)\s*\d{1,3}(?:\s*(?:of|/)\s*\d{1,3})?(?:\s*[-–—:|]\s*[A-Z][A-Z ]{2,24})?",
    re.I,
)


def _is_told(text: str, words: Sequence[str]) -> bool:
    """Return whether what names a time is something to do: "Mix, rest 10 minutes, fry 2 minutes a side" is no time told ahead."""
    first = fold(words[0])
    return bool(_TOLD_WITH.search(text)) or (first in word_list("verb") and not _TIMED_DEED.match(first))


_HEAT_FIRST = re.compile(
    r"(?:1[4-9]0|2[0-4]0|3[0-9][05]|4[0-5]0)\s+(?:blind|for\s+\d{2}|then)\b|[1-5]\d\d\s?[°º]?\s?[CF]\b(?!\.?\s+(?:of\s|[a-z]+\s+(?:flour|sugar|milk)))"
)
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
