"""Foods that run on in one line: what leads them in, where one ends, what is told behind them."""

from __future__ import annotations

import re

from sun_crumb.core.reading.divided import PLACES, divided
from sun_crumb.core.reading.food_ends import (
    AMOUNT_BEHIND,
    FOOD_THEN_AMOUNT,
    LEAST_FOODS,
    LOOK_AHEAD,
    METHOD_BEHIND,
    amounts_behind,
    begins_food,
    first_word,
    foods_apart,
    is_food_with_amount,
    part_within,
)
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.words import word_list

# A number, or one in words before a unit: "half a pound of"
_AMOUNT = r"(?:[\d½¼¾⅓⅔]|(?:half|a|one|two|three|four|five|six|eight|ten|twelve)\s+(?:an?\s+)?(?:pounds?|ounces?|pints?|cups?|grams?|teacups?|cupfuls?)\b)"
_TITLED = re.compile(
    rf"^([^\W\d_][^.:,;!\d]{{2,60}}?(?:\s+for\s+\d{{1,2}})?)[.!]+\s+(?:((?:(?:serves|makes|feeds|for)\s+)?\d{{1,2}}(?:\s*[-–]\s*\d{{1,2}})?(?:\s+[^\W\d_]+){{0,2}})\.\s+)?(?={_AMOUNT})",
    re.I,
)
# "RICE PUDDING (baked), 4 helpings. 3 oz rice, ..."
_TITLED_AND_COUNTED = re.compile(
    r"^([^\W\d_][^.:;!\d]{2,60}?)[,;–—-]+\s*((?:(?:serves|makes|feeds|for|enough for)\s+)?\d{1,2}(?:\s*[-–]\s*\d{1,2})?(?:\s+[^\W\d_]+){0,2})[.:]\s+(?=[\d½¼¾⅓⅔])",
    re.I,
)


def run_on(raw: str) -> list[str]:
    """Return the foods of a line that holds several, each with its amount, or the line as it is."""
    text = _with_its_kind(_MARKED.sub("", raw.strip()))
    if told := [raw] if _tells_as_it_goes(text) else _behind_a_word(text):
        return told
    if foods := divided(text, LEADS_THE_LIST):
        return [
            one
            for food in foods
            for said in part_within(food)
            for one in (_with_method_apart(run_on(said)) if said[-1] != ":" else [said])
        ]
    if told := _led(text) or _after_its_part(text):
        return told
    is_headed = _HEADED.match(text) or _DASHED.match(text) or _lists_behind_a_deed(text)
    is_food = first_word(text) in word_list("deed_food") and bool(amounts_behind(text) or _behind_then_how(text))
    # "2 level tbsp cornflour, 1 egg": no deed
    is_done = first_word(text) in word_list("verb") and not begins_food(text)
    if len(text) < 12 or (is_done and not is_headed and not is_food):
        return [raw]
    if told := _titled(text) or _dashed(text) or _undivided(text):
        return told
    if washed := _WASH.match(text):
        return foods_apart(text[washed.end() :])
    if named := re.match(r"^([^\W\d_][^:,;]{1,40}):\s+(?=\S)", text):
        if statements(text[: named.end() + LOOK_AHEAD]) and not is_food_with_amount(text[named.end() :].split(",")[0]):
            return [raw]  # "Yield: 1 (9-inch) pie, 8 servings"
        return _headed(named[1], _MARKED.sub("", text[named.end() :])) or [raw]
    if not begins_food(text) and (behind := amounts_behind(text) or _behind_then_how(text)):
        return behind  # "Sugar 2 cups, water 1/2 cup, butter 1 T"
    return _split_before_the_method(text)


def _tells_as_it_goes(text: str) -> bool:
    """Return whether a line tells its foods where they go in: "200 g butter, melted. 4 eggs whisked with 250 g sugar. Add 100 g flour, 40 g cocoa"."""
    _, *later = _SENTENCES.split(text)
    done = [s for s in later if first_word(s) in word_list("verb") and len(_MEASURED.findall(s)) >= LEAST_AS_IT_GOES]
    return len(later) > 1 and bool(done)


# So many weighed foods in a sentence of what is done are told there [1].
LEAST_AS_IT_GOES = 2
_SENTENCES = re.compile(r"(?<=[a-z]{3})\.\s+(?=[A-Z\d])")
_MEASURED = re.compile(r"(?<![\w.,/])[\d½¼¾][\d.,/½¼¾]*\s?(?:kg|g|ml|dl|l|oz|lbs?|cups?|tbsps?|tsps?)\s+[^\W\d_]{3}")


def _behind_a_word(text: str) -> list[str]:
    """Return the foods of a line behind what is said before them ("Sure! oats 2 cups, honey 1 cup", "For 6: 250 g quark", "Mix together: 3 tbsp sugar, 1 tsp cinnamon"), or none."""
    if led := _SAID_BEFORE.match(text):
        rest = text[led.end() :]
        told = [] if _SAID_BEFORE.match(rest) else run_on(rest)
        return told if len(told) >= LEAST_FOODS else []
    if (so_many := _FOR_SO_MANY.match(text)) and begins_food(text[so_many.end() :]):
        return [f"Serves {so_many[1]}", *run_on(text[so_many.end() :])]
    mixed = _MIXED.match(text)
    return foods_apart(text[mixed.end() :]) if mixed and "." not in text[mixed.end() : -1] else []


_MIXED = re.compile(r"(?:mix|combine|stir|whisk)(?: together)?:\s+(?=[\d½¼¾⅓⅔])", re.I)


def _behind_then_how(text: str) -> list[str]:
    """Return the foods of a line whose amounts stand behind them, and how, where that follows in sentences: "oats 2 cups, honey 1 cup, salt 1 tsp. Warm, mix, press"."""
    foods, *method = METHOD_BEHIND.split(text, maxsplit=1)
    return [*listed, *method] if method and (listed := amounts_behind(foods)) else []


# "For 6:  1 pkt jelly"
_FOR_SO_MANY = re.compile(r"for\s+(\d{1,2})(?:\s+people)?\s*:\s+", re.I)
# "Sure! oats 2.5 cups, ..."
_SAID_BEFORE = re.compile(
    r"(?:sure|ok(?:ay)?|yes|yep|right|of course|certainly|no problem|here (?:goes|it is|you (?:go|are))|so)(?:\s+(?:thing|then|love|dear))?\s*[!.,:]+\s+(?=\S)",
    re.I,
)


def _lists_behind_a_deed(text: str) -> bool:
    """Return whether a line tells foods with their amounts behind what is done with them: "melt: butter 110 g, treacle 75 g"."""
    named = re.match(r"[^\W\d_]+(?: [^\W\d_]+)?:\s+(?=\S)", text)
    return named is not None and bool(amounts_behind(text[named.end() :], LEAST_BEHIND_A_DEED))


LEAST_BEHIND_A_DEED = 2


def _titled(text: str) -> list[str]:
    """Return a dessert's name, what it makes, its foods and how, where one line tells all ("Date slice. 200 g dates, 150 ml water, 1 egg"), or none."""
    titled = _TITLED.match(text) or _TITLED_AND_COUNTED.match(text)
    parts = foods_apart(text[titled.end() :]) if titled else []
    if titled is None or len(parts) < LEAST_FOODS:
        return []
    last, *method = re.split(r"\.\s+(?=[A-Z])", parts[-1], maxsplit=1)
    return [part for part in (titled[1], titled[2], *parts[:-1], last, *method) if part]


def _dashed(text: str) -> list[str]:
    """Return a part's name and its foods, where a dash or capitals divide them ("PASTRY 200 g flour, 100 g butter"), or none."""
    part = _DASHED.match(text) or _SHOUTED.match(text)
    if part is None:
        return []
    if len(parts := foods_apart(text[part.end() :])) > 1:
        return [f"{part[1]}:", *_with_method_apart(parts)]
    named = part[1].lower()
    is_part = named in word_list("component") - word_list("verb") | PLACES or named.split()[-1] == "layer"
    # "base - half a pack (125 g) of ginger nuts & 50 g butter"
    return [f"{part[1]}:", text[part.end() :]] if is_part and begins_food(text[part.end() :]) else []


def _with_method_apart(foods: list[str]) -> list[str]:
    """Return the foods of a part, and how behind the last of them where that is told: "pinch salt. Mix, press in"."""
    last, *method = METHOD_BEHIND.split(foods[-1], maxsplit=1)
    is_told = bool(method) and begins_food(last)
    is_told = is_told and (first_word(method[0]) in word_list("verb") or bool(statements(method[0])))
    return [*foods[:-1], last, *method] if is_told else foods


def _split_before_the_method(text: str) -> list[str]:
    """Return the foods of a line, and how, where that is told behind the last of them: "50 g semolina, 1 egg. Bring the milk to the boil"."""
    *foods, told = foods_apart(text)
    last, *method = METHOD_BEHIND.split(told, maxsplit=1) if len(foods) + 1 >= LEAST_FOODS else [told]
    is_told = bool(method) and first_word(method[0]) in word_list("verb")
    return [*foods, last, *method] if is_told else [*foods, told]


# "Filling - 2 eggs, 100 g sugar", "PASTRY 200 g plain flour, 100 g butter"
_DASHED = re.compile(
    r"^(?!.*\bif (?:large|small)\b)((?:layer|part|step|tier|mix|stage)\s\d|[^\W\d_][^:,;\d]{1,30}?)(?:\s+[–—-]{1,3}|(?<=[a-z]{3})[–—-]|(?<=[a-z]\s\d):)\s+(?=[\d½¼¾⅓⅔]|half\s+an?\b|half\s+[a-z]+\s*\()",
    re.I,
)
_PART_FIRST = re.compile(r"^([^\W\d_]{3,12})\s+(?=[\d½¼¾⅓⅔])(?!\d\s*[-–—:]\s)")
_SHOUTED = re.compile(r"^([A-Z][A-Z]+(?:[ &/][A-Z]+){0,3})\s+(?=[\d½¼¾⅓⅔])")


def _led(text: str) -> list[str]:
    """Return the foods of a line that words lead in ("You want a pound of plums, four ounces of butter, two eggs. Beat well."), or none."""
    talked = _TALKED.match(text)
    if talked and LEADS_THE_LIST.match(talked[1]) and len(parts := foods_apart(text[talked.end() :])) >= LEAST_FOODS:
        last, *method = METHOD_BEHIND.split(parts[-1], maxsplit=1)
        return [f"{talked[1]}:", *parts[:-1], last, *method]
    led = _LED.match(text)
    parts = foods_apart(text[led.end() :]) if led else []
    if len(parts) >= LEAST_FOODS and not any(_GOES_ON.search(part) for part in parts[:-1]):
        last, *method = METHOD_BEHIND.split(parts[-1], maxsplit=1)
        return [*parts[:-1], last, *method]
    top = _TOPPED.fullmatch(text)
    return [f"{top[1]}:", top[2]] if top else []


def _after_its_part(text: str) -> list[str]:
    """Return a part's name and its foods where nothing divides them ("base 200 g digestives, 100 g butter"), or none."""
    part = _PART_FIRST.match(text)
    is_part = part is not None and part[1].lower() in (word_list("component") - word_list("verb")) | PLACES
    if part is None or not is_part or not begins_food(text[part.end() :]):
        return []
    foods = foods_apart(text[part.end() :])
    undivided = _NEXT_AMOUNT.split(foods[0]) if len(foods) == 1 else []
    is_list = len(undivided) >= LEAST_FOODS and all(map(begins_food, undivided))
    return [f"{part[1]}:", *_with_method_apart(undivided if is_list else foods)]


# "pastry 250g flour 125g butter 1 egg": nothing but the next amount divides them
_NEXT_AMOUNT = re.compile(
    r"(?<=[a-z)])(?<!\bx)\s+(?=[\d½¼¾][\d.,/]*\s*(?:g|kg|ml|l|oz|lbs?|tsps?|tbsps?|cups?)\b|\d{1,2}\s+[a-z]{3,})"
)


# "6 croissants and tear into a dish. mix": prose, and no list
_GOES_ON = re.compile(r"[a-z]{3}\.\s+[a-z]", re.I)


def _undivided(text: str) -> list[str]:
    """Return the foods of a short line that nothing but the next amount divides ("175g butter 175g caster"), or none."""
    parts = _NEXT_AMOUNT.split(text) if len(text) < LONGEST_UNDIVIDED else []
    is_list = len(parts) > 1 and all(begins_food(part) and len(part.split()) <= LONGEST_NAME for part in parts)
    is_whole = not any(re.search(r"[,;:.]|\b(?:in|with|and|plus|or|of|into)$", part) for part in parts)
    return parts if is_list and is_whole and all(_BY_WEIGHT.match(part) for part in parts) else []


# No longer is a line of foods that nothing divides [characters] (judgement).
LONGEST_UNDIVIDED = 80
_BY_WEIGHT = re.compile(
    r"\d[\d.,/]*\s?(?:g|kg|ml|oz|lbs?)\b(?!\s*(?:x|×|/|can|tin|jar|pack|packet|bag|bar|each))", re.I
)
# "Top: whipped cream"
_TOPPED = re.compile(r"(top|topping|garnish|decoration)\s*:\s+([a-z]+(?: [a-z]+){0,2})", re.I)


def _for_the_end(prefix: str, rest: str) -> list[str]:
    """Return the foods behind words that say what is done with them in the end ("To finish: 50 g sugar, mint"); none where they say something else."""
    if not _FOR_THE_END.fullmatch(prefix):
        return []
    if not re.search(r"[\d.]", rest):
        named = re.split(r",?\s+(?:and|&)\s+|,\s*", rest)
        if all(len(one.split()) <= LONGEST_NAME for one in named):
            return named
    joined = re.split(r"\s*(?:\+|&|\band\b)\s*", rest)
    if len(joined) > 1 and all(begins_food(one) or AMOUNT_BEHIND.match(one) for one in joined):
        return joined  # "To serve: raspberries 200 g + 1 tbsp icing sugar"
    if begins_food(rest) or FOOD_THEN_AMOUNT.match(rest) or AMOUNT_BEHIND.match(rest):
        parts = foods_apart(rest)  # "To coat: 400 g desiccated coconut"
        return parts if len(parts) > 1 else _some_measured(rest) or parts
    if made_of := _MADE_OF.fullmatch(rest):
        parts = re.split(r"\s*(?:\+|&|,|\band\b)\s*", made_of[1])
        if all(map(begins_food, parts)):
            return parts  # "To finish: cinnamon sugar (2 tbsp sugar + 1/2 tsp cinnamon)"
    return _some_measured(rest)


def _headed(prefix: str, rest: str) -> list[str]:
    """Return a part's name and its foods, where one line tells both ("Filling: 2 eggs, 100 g sugar"); none where it tells something else."""
    if ends := _for_the_end(prefix, rest):
        return [f"{prefix}:", *ends]
    rest = _OR_BOUGHT.sub("", rest)
    if bare := _bare_foods(rest) or amounts_behind(rest, LEAST_BEHIND_A_DEED) or _behind_then_how(rest):
        return [f"{prefix}:", *bare]
    is_part = (
        prefix.lower() in word_list("component") | {"fruit", "inside", "outside"} | PLACES
        or (
            (prefix[:1].isupper() or re.match(r"(?:for|to make)\s+the\b", prefix))
            and prefix.lower().split()[-1] in word_list("component") - word_list("deed_food")
        )
        or (
            re.match(r"for\s+the\s", prefix, re.I)
            and (begins_food(rest) or prefix.split()[-1] in word_list("component"))
        )
        or IN_THE_BOWL.fullmatch(prefix)
        or WHAT_GOES_IN.fullmatch(prefix)
        or re.fullmatch(
            r"(?:fold|stir|mix|add|beat) in|(?:after|before) (?:bak|cook|cool|chill)ing|at the end|last(?: of all)?",
            prefix,
            re.I,
        )
    )
    if len(foods_apart(rest)) < 2 and not (is_part and (begins_food(rest) or _CASE.match(rest))):
        return []
    if _ITS_KIND.fullmatch(rest):
        return [f"{rest} {prefix}"]  # "Cream: 600 ml double": one food, its name before the colon
    *foods, told = foods_apart(rest)
    last, *method = METHOD_BEHIND.split(told, maxsplit=1)
    if LEADS_THE_LIST.match(prefix):
        return [*foods, last, *method]  # "I always use the same pot: 1 litre of milk, ..."
    return [f"{prefix}:", *(part for food in foods for part in _with_method_apart([food])), last, *method]


# "one 9-inch pie shell, unbaked"
_CASE = re.compile(
    r"(?:one|1|an?)\s+(?:(?:ready|blind|pre|home|shop|un)-?\s?(?:baked|made|cooked|bought)\s+)?(?:\(?\d{1,2}(?:\.\d)?\s*-?\s*(?:inch|in\.?|cm|\"|″)\)?\s+)?(?:[a-z]+[ -]){0,4}(?:shell|crust|case|base)\b",
    re.I,
)
# "Sugar: 200 g white; 100 g brown"
_KIND_FIRST = re.compile(r"(sugars?|flours?|chocolate|rice)\s*:\s+(.+)$", re.I | re.S)


def _with_its_kind(text: str) -> str:
    """Return a line whose foods are told by their sort alone with the kind that stands over them: "Sugar: 200 g white; 100 g brown"."""
    led = _KIND_FIRST.match(text)
    return f"{led[1]}: " + _SORT_ALONE.sub(rf"\1 {led[1].lower().rstrip('s')}", led[2]) if led else text


_SORT_ALONE = re.compile(
    r"(\d[\d.,/]*\s*(?:g|kg|oz|lbs?|cups?|tbsps?|tsps?)\.?\s+(?:(?:light|soft|dark)\s+)?(?:white|brown|caster|icing|granulated|demerara|muscovado|plain|wholemeal|rye|spelt|strong|self-raising|dark|milk|light))(?=\s*(?:[;,.]|$))",
    re.I,
)
_MADE_OF = re.compile(r"[a-z][a-z ]{2,30}\(([^()]*\d[^()]*(?:\+|&|,|\band\b)[^()]*)\)\.?", re.I)
# Words that lead in what goes in, and name no part.
LEADS_THE_LIST = re.compile(
    r"(?:I|we|you|it|this|my|our)\b|.*\b(?:use|need|takes|wants)\b|what\b.*\byou\b.*\b(?:want|need|use|require|be)",
    re.I,
)
_ITS_KIND = re.compile(
    r"\d[\d.,/]*\s*(?:g|kg|ml|l|cl|oz|lbs?|tbsps?|tsps?|cups?)\.?\s+(?:double|single|whipping|heavy|clotted|soured|thick|dark|white|brown|plain|self[- ]raising)",
    re.I,
)


def _some_measured(rest: str) -> list[str]:
    """Return the foods of a short list of which some have no amount: "beaten egg, 1 tbsp demerara sugar"; none where it is no such list."""
    parts = [part for part in re.split(r",\s*|\s+and\s+", rest.rstrip(".")) if part]
    is_measured = [begins_food(part) or _MEASURED_BEHIND.search(part) is not None for part in parts]
    is_food = [
        told or (len(part.split()) <= 3 and not re.search(r"[\d.]", part))
        for part, told in zip(parts, is_measured, strict=True)
    ]
    return parts if 1 < len(parts) <= 5 and all(is_food) and any(is_measured) else []


# "caster sugar to dust (1 tbsp)"
_MEASURED_BEHIND = re.compile(r"^[^\W\d_][^\d()]{2,40}\([\d½¼¾⅓⅔][^()]{0,12}\)$")


# "Crust: use your own or 1 bought pie crust"
_OR_BOUGHT = re.compile(r"^(?:use\s+)?(?:your\s+own|home-?made)[^,;.\d]{0,24}\bor\s+(?=\d)", re.I)
# "I never measure but here's roughly what's in my bread pudding: about ten slices of bread; ..."
_TALKED = re.compile(r"([^:;\d]{41,120}):\s+(?=\S)")
# What a letter begins its list with.
_LED = re.compile(
    r"(?:take|you(?:['’]ll| will)? (?:want|need)|it takes|use|I use|get)\s+(?=[\d½¼¾⅓⅔]|(?:an?|half|one|two|three|four|five|six|eight|ten|twelve)\b)",
    re.I,
)
# "Egg wash: 1 egg + 1 tbsp milk": brushed on, and no part of its own.
_WASH = re.compile(r"(?:egg[- ]?)?wash\s*:\s+(?=\d|an?\b|one\b)", re.I)
# "Top: 1 cup cream", "In the jug: 1 egg": a part, and no "Top with cream".
_HEADED = re.compile(
    r"[Ss]erved? with:\s+[\d½¼¾⅓⅔]|[Ii]n(?:to)? (?:the|an?|another|one) [^:;.\d]{3,24}:\s|(?i:fold|stir|mix|add|beat) (?i:in):\s+[\d½¼¾⅓⅔]|[^\W\d_]+(?:-[^\W\d_]+)?:\s+(?:[\d½¼¾⅓⅔]|(?:grated )?(?:zest|juice)\b)|[A-Z]{3,}\s+(?:[–—-]{1,3}\s+)?[\d½¼¾⅓⅔]"
)
# "To decorate: writing icing": what the part is for, and its one food.
_FOR_THE_END = re.compile(
    r"served?\s+with|(?:to|for)\s+(?:decorat|serv|finish|garnish|dust|glaz|coat|fill|top|sprinkl|drizzl|roll|dip|brush|fry|sandwich)(?:e|ing)?|finish|toppings?|garnish|decorations?|(?:to go )?on top",
    re.I,
)
LONGEST_NAME = 5
# What marks the first food behind the colon: "In the jug: * 1 egg".
_MARKED = re.compile(r"^[*•·▪–-]\s*(?=[\d½¼¾⅓⅔]|[A-Z]{3})")
# A part by what its foods are for: "What goes on top".
WHAT_GOES_IN = re.compile(
    r"what(?:['’]?s| goes| you need)?\s+(?:in(?:to)?|on|over|under|for|inside)\s+(?:top\s+of\s+)?(?:the\s+)?([^\W\d_][\w' -]{1,24})",
    re.I,
)
# What the foods behind it are put into: "In the jug: 1 egg".
IN_THE_BOWL = re.compile(
    r"in(?:to)?\s+(?:the|an?|another|one)\s+(?:[^\W\d_]+\s+)?(?:bowl|jug|pan|saucepan|cup|mug|blender|processor|mixer|pot)",
    re.I,
)


def _bare_foods(rest: str) -> list[str]:
    """Return the foods of a short list where only the first has an amount: "300 ml cream, jam"; none where the rest tells how."""
    parts = [part.strip() for part in rest.rstrip(".").split(",")]
    if len(parts) < 2 or not begins_food(parts[0]) or "." in rest[:-1]:
        return []
    words = [set(re.findall(r"[^\W\d_]+", part.lower())) for part in parts[1:]]
    is_food = all(1 <= len(w) <= 3 and not w & (word_list("neutral") | word_list("verb")) for w in words)
    return parts if is_food and not any(re.search(r"\d", part) for part in parts[1:]) else []
