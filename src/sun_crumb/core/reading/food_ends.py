"""Where one food of a line ends and the next begins: what divides them, and whether words begin with an amount of a food."""

from __future__ import annotations

import re

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.quantities.numbers import WORDS
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.citrus_abroad import in_english
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.same_again import SAME_AGAIN
from sun_crumb.core.reading.words import word_list

_RUN_ON = re.compile(
    r"\s*(?:[;•·●▪¤]|,(?=\s)|\s\.\s|\s[–—-]\s|\s//\s|\s/\s(?=[\d½¼¾⅓⅔⅛]|(?:an?\s)?pinch\b|(?:zest|juice)\s+(?:of\s+)?[\d½])|\s\*\s|\s(?:\.{3}|…)\s)\s*(?:and\s+|&\s+|plus\s+)?(?:for\s+the\s+[a-z]+\s+(?=\d))?"
)
# How far an amount and the beginning of a food may reach.
LOOK_AHEAD = 60
# So many foods behind a name and a full stop are its list.
LEAST_FOODS = 3


def amounts_behind(rest: str, least: int = LEAST_FOODS) -> list[str]:
    """Return the foods of a list whose amounts stand behind them ("flour 250 g; sugar 50 g; salt, pinch"); none where it is no such list."""
    parts = [part.strip() for part in rest.rstrip(".").split(";" if rest.count(";") > 1 else ",") if part.strip()]
    behind = [part for part in parts if AMOUNT_BEHIND.search(part) and len(part.split()) <= LONGEST_FOOD]
    told = [part for part in parts if part in behind or (begins_food(part) and len(part.split()) <= LONGEST_FOOD)]
    others = [part for part in parts if part not in told]
    # "dark choc 200g, butter 180g, jar sour cherries (drained 220g), salt": most of them are enough
    is_list = not others or (
        len(parts) >= LEAST_TOLD_BEHIND and len(others) <= SOME_BARE * len(parts) and all(map(_is_bare, others))
    )
    # "whipping cream 300 ml, icing sugar 1 tbsp, vanilla"
    is_list = is_list or (others == parts[-1:] and _TRACE.fullmatch(others[0]) is not None)
    return parts if len(parts) >= least and is_list and 2 * len(behind) > len(parts) else []


# What a list names last, and nobody measures.
_TRACE = re.compile(
    r"(?:a\s+(?:little|pinch of|drop of)\s+)?(?:vanilla|salt|cinnamon|nutmeg|cardamom|(?:lemon|orange|lime)\s+zest|ground\s+[a-z]+|mixed spice)",
    re.I,
)
# In a list of so many foods such a share may have no amount, or one that is told in another way (judgement).
LEAST_TOLD_BEHIND, SOME_BARE = 5, 0.3


def _is_bare(part: str) -> bool:
    return (
        len(part.split()) <= LONGEST_FOOD
        and not re.search(r"[.:!?]", part)
        and first_word(part) not in word_list("verb") - word_list("deed_food")
    )


LONGEST_FOOD = 7
_NUMBER = r"[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔]*"
# The same weight again: "8oz/225g"
_AGAIN = rf"(?:\s*[/=]\s*{_NUMBER}\s*(?:g|kg|ml|l|cl|dl|(?:fl\.?\s?)?oz|lbs?|cups?)\.?)?"
AMOUNT_BEHIND = re.compile(
    rf"^[^\W\d_][^\d;]{{1,40}}?[\s,]+[x×]?(?:\(?{_NUMBER}\s*(?:g|kg|ml|l|cl|dl|(?:fl\.?\s?)?oz|lbs?|cups?|tsps?|tbsps?|\w*spoons?|pcs?|pieces?|leaves|sheets?|sticks?|strips?|pods?|cloves?|sprigs?|punnets?|handfuls?|tins?|cans?|jars?|packe?t?s?|large|medium|small|[tTc])?(?!\w)\.?{_AGAIN}\)?|\(?(?:an?\s+)?(?:pinch|dash|handful|splash|knob)\)?|\(\d\s[a-z]+\))(?:\s+(?:block|pack|packet|bag|tin|can|tub|pot|jar))?(?:\s*\([^()]*\))?(?:,\s*[^\d;]+|\s+[a-z]+(?:ed|en))?$",
    re.I,
)
# Behind the last food of the line.
METHOD_BEHIND = re.compile(r"\.\s+(?=[A-Z][a-z]+[\s,:]|\d{1,3}\s*(?:sec|min|hour|hr))")
# "1 egg yolk, pearl sugar 20 g": another food, its amount behind it.
FOOD_THEN_AMOUNT = re.compile(
    r"(?!(?:less|minus|about|approx\w*|around|or|and|each|total|net|weight|juice|zest|flesh|plus|for|to|from|the|in|at|cut|if|you|with|per|roughly|makes|serves|gives)\b)(?!\w+(?:ed|ing)\b)[a-z][^\W\d_]{2,}(?:\s(?!(?:about|weight|or|net|total)\b)[^\W\d_]{3,}){0,2}\s+\d[\d.,/½¼¾]*\s*(?:g|kg|ml|tbsps?|tsps?|cups?|oz)\b\.?(?=\s*(?:[,;]|$))",
    re.I,
)
# "225 g raspberries, icing sugar to dust": another food, for the end.
_FOR_THE_LAST = re.compile(
    r"(?!(?:plus|extra|more|some|and|or|with|cut|thinly|finely|roughly|whole|fresh|then|left|ready|to|for)\b)(?!\w+(?:ed|ly|en)\b)[a-z][^\W\d_]{2,}(?:\s(?!\w+ed\b)[^\W\d_]{3,})?\s+(?:to|for)\s+"
    r"(?:dust|dusting|sprinkle|sprinkling|decorate)\b[^,;]{0,12}$",
    re.I,
)


def _is_named_alone(rest: str, text: str) -> bool:
    """Return whether a semicolon in a list of them stands before one more food, its number in a bracket: "passion fruit pulp (2)"."""
    return (
        text.count(";") >= LEAST_SEMICOLONS
        and re.match(r"[^\W\d_][a-z ]{2,30}\(\d{1,2}\)\s*(?:;|$)", rest, re.I) is not None
    )


LEAST_SEMICOLONS = 2


def foods_apart(text: str) -> list[str]:
    """Return the foods of a line apart, each with its amount; the line alone where it holds one."""
    parts, start, depth = [], 0, 0
    for match in _RUN_ON.finditer(text):
        depth = text.count("(", 0, match.start()) - text.count(")", 0, match.start())
        rest = text[match.end() :]
        if re.fullmatch(r"\W*[\d½¼¾⅓⅔⅛.,/ ]+", text[start : match.start()]):
            continue  # "1 - 1½ tbsp"
        if depth <= 0 and (
            begins_food(rest)
            or (";" in match[0] and _is_named_alone(rest, text))
            or FOOD_THEN_AMOUNT.match(rest)
            or _FOR_THE_LAST.match(rest)
        ):
            parts.append(text[start : match.start()])
            start = match.end()
        elif (
            depth <= 0
            and "/" in match[0]
            and re.match(r"[^a-z]+(?:tsp|tbsp|cup|t|g)s?\.? (?:of )?(?:zest|juice)$", text[match.end() :], re.I)
        ):
            parts.append(text[start : match.start()])  # "½ cup lime juice / 2 tsp zest"
            start = match.end()
    if parts and (broken := _AMOUNT_AT_END.search(text, start)):
        parts.append(text[start : broken.start()])  # "120 g butter; 80 g": its food stands on the next line
        start = broken.start("amount")
    parts.append(text[start:])
    # "Cake • 200 g flour • 2 eggs": what stands first names what the foods make.
    is_titled = len(parts) >= 3 and bool(re.match(r"[;•·●▪¤]", text[len(parts[0]) :].strip()))
    if len(parts) < 2 or not (is_titled or begins_food(parts[0])):
        return [text]
    return [p.strip() for part in parts for p in part_within(part) if p.strip()]


_AMOUNT_AT_END = re.compile(r"\s*[;,]\s+(?P<amount>\d[\d.,/]*\s*(?:g|kg|ml|tbsps?|tsps?|cups?))\s*$", re.I)


def part_within(text: str) -> list[str]:
    """Return a food of a line apart from the part of the dessert that begins behind it ("150 g nuts, ground. Filling: 300 ml cream")."""
    if (more := _MORE_BEHIND.search(text)) and begins_food(text[more.end() :]):
        return [text[: more.start()], text[more.end() :]]
    if (
        (told := _DONE_AFTER_DOTS.search(text))
        and begins_food(text)
        and first_word(text[told.end() :]) in word_list("verb")
    ):
        return [text[: told.start()], text[told.end() :]]
    if told := _DONE_BEHIND.search(text):
        return [text[: told.start()], text[told.end() :]]
    found = _PART_BEGINS.search(text)
    if found is None or not begins_food(text[found.end() :]):
        return [text]
    return [text[: found.start()], f"{found['part']}:", text[found.end() :]]


# "... a slosh of milk. Plus a tablespoon of sugar for the top."
_MORE_BEHIND = re.compile(r"[.!]\s+(?:plus|and|also)\s+", re.I)
# "1/2 tsp salt - sift into a pan. Make 3 holes.": what is done with all of it, in sentences.
_DONE_BEHIND = re.compile(
    r"\s[-–—]\s+(?=(?:sift|mix|put|stir|beat|cream|combine|whisk|melt|blend|rub|boil)\b[^.]*\.\s+\S)", re.I
)
# "1/2 tsp soda ... mix to crumbs"
_DONE_AFTER_DOTS = re.compile(r"\s+(?:\.{3}|…)\s+(?=[^\W\d_]{3})")
# A name and a colon behind a full stop, and an amount behind that.
_PART_BEGINS = re.compile(r"[.!]\s+(?P<part>[A-Z][^\W\d_]+(?: [^\W\d_]+){0,2})\s*:\s*(?=[\d½¼¾⅓⅔])")


def begins_food(text: str) -> bool:
    """Return whether *text* begins with an amount that has a unit or a count, and a food behind it."""
    text = in_english(clean(text[:LOOK_AHEAD]))
    if SAME_AGAIN.match(text) or any(form.match(text) for form in _FOODS_OF_A_WORD):
        return True
    if _IN_ITS_BOWL.match(text) or _A_BIT_MORE.match(text) or _LESS.match(text):
        return False
    found = read_amount(text)
    if found is None or _PART_OF_IT.match(text):
        return False
    amount, end = found
    rest = text[end:]
    if amount.unit and re.match(r"\s*each\s+(?:of\s+)?[a-z]{3}", rest, re.I):
        return True  # "half a teaspoonful each of ginger and cloves"
    if (
        amount.unit is None
        and re.match(r"[-\s]*(?!mixed\b)\w+ed\b", rest)
        and re.match(r"(?:two-|three-)?(?:half|thirds?|quarters?)", text)
    ):
        return False  # "two-thirds ground, the rest chopped"
    if amount.unit is None and not re.match(r"\d|[½¼¾⅓⅔]|a\b|an\b|" + "|".join(rf"{w}\b" for w in WORDS), text, re.I):
        return False
    # "for dusting", "about 120 g": the same food still.
    return (
        bool(
            re.match(
                # "225 g/8 oz digestives": the amount again.
                r"(?:\s*(?:\+|plus\b)\s*[\d½⅓⅔¼¾⅛][\d½⅓⅔¼¾⅛./ ]*\s*(?:cups?|tbsps?|tsps?|tablespoons?|teaspoons?|g|ml|oz)\b\.?)?"  # "3/4 cup + 2 tbsp milk"
                r"\s*(?:/\s*[\d½⅓⅔¼¾⅛.,]+\s*(?:oz|fl\.?\s?oz|lbs?|g|ml|pints?|cups?)\.?)?\s*(?:\([^()]*\)\s*)?(?:of\s+)?(?:\d+\s*%\s*)?(?!for\b|to\b|about\b|or\b|if\b|each\b|more\b|extra\b(?!\s+(?:egg\s+)?(?:yolk|white)s?\b)|flesh\b|peeled\b(?!\s+(?!weight\b|and\s+cored\s+weight\b)[a-z])|prepared\b|net\b|drained\b|juiced\b|zested\b|(?:(?:of\s+)?(?:the\s+)?(?:juice|zest)\W*$)|in all\b|in total\b|altogether\b|weight\b|(?:(?:loaf|cake|round|square|sandwich|springform)\s+)?(?:tin|pan|dish)\b)(?:d['’])?(?:[^\W\d_]{2,}|b\.?\s?p\b|b\.\s?(?=powder\b|soda\b)|(?:[a-z]\.\s?){1,}[a-z]{3,})",
                rest,
                re.I,
            )
        )
        and not re.match(
            r"\s*(?:(?:min(?:ute)?s?|hours?|hrs?|days?(?!-old)|weeks?|nights?|months?|cm|inch(?:es)?|x)\b|°|%)", rest
        )
    )


# "1/4 pt milk, less 1 tbsp"
_LESS = re.compile(r"(?:less|minus)\b", re.I)
# What begins a food without a number before a unit.
_FOODS_OF_A_WORD = tuple(
    re.compile(pattern, re.I)
    for pattern in (
        # "un pizzico di sale"
        r"(?:un\s+pizzico|una\s+presa|une\s+pincée|eine\s+prise|una\s+pizca|uma\s+pitada|en\s+nypa|een\s+snufje|szczypta)\s+(?:(?:di|de|av)\s+|d['’])?[^\W\d_]{3,}",
        # "zest of 2 lemons"
        r"(?:finely )?(?:grated )?(?:zest|juice|rind|pulp|seeds)(?: (?:and|&|\+) (?:zest|juice))? (?:(?:of|from) )?(?:the (?=\d|one|two|three))?(?:\d/\d|\d|½|an?\b|one|two|half)(?:\s?[½¼¾]|\s\d/\d)?(?![\d½¼¾/]|\W*$|\s*[,(]|\s+(?:and|of (?:it|them))\b)",
        r"(?:freshly\s+)?(?:ground|grated)\s+(?:nutmeg|cinnamon|cardamom)\b",
        # "the liquid from one 400 g tin of chickpeas"
        r"(?:the\s+)?(?:liquid|water|brine|cream|syrup|juice)\s+(?:from|of)\s+(?:an?|one|1|two|\d+)\b",
        # "a splash of milk"
        r"(?:a\s+)?(?:bit\s+of|splash|pinch|dash|drop\s+of|glug|knob)\s+(?:of\s+)?(?!the\b|it\b|this\b|a\b)[a-z]{3,}(?:\s+[a-z]+)?\s*(?:[,;.]|$)",
    )
)
# "250 g spelt flour, half wholemeal": what half of it is.
_PART_OF_IT = re.compile(r"half\s+(?:wholemeal|whole[- ]?wheat|white|plain|of it|of them)\b", re.I)


def first_word(text: str) -> str:
    """Return the first word of *text* as names have it, or nothing."""
    found = re.search(r"[^\W\d_]+", text)
    return fold(found[0]) if found else ""


def is_food_with_amount(text: str) -> bool:
    """Return whether *text* holds an amount first and a word of three letters or more behind it."""
    found = None if _IN_ITS_BOWL.match(text) else read_amount(text)
    return bool(found and re.search(r"[^\W\d_]{3,}", text[found[1] :]))


# "plus a bit more for dusting"
_A_BIT_MORE = re.compile(r"(?:an?\s+)?(?:wee\s+)?(?:bit|little|touch|few|handful)\s+(?:more|extra)\b", re.I)
# "A - brown it": which bowl it goes in, and no one of anything.
_IN_ITS_BOWL = re.compile(r"[A-D]\s*[-–—:]")
