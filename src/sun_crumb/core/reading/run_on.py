"""Foods that run on in one line: what leads them in, where one ends, what is told behind them."""

from __future__ import annotations

import re

from sun_crumb.core.pantry.names import fold
from sun_crumb.core.quantities.numbers import WORDS
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.line import clean
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.words import word_list

_RUN_ON = re.compile(
    r"\s*(?:[;•·●▪¤]|,(?=\s)|\s\.\s|\s[–-]\s|\s//\s|\s/\s(?=[\d½¼¾⅓⅔⅛]|(?:an?\s)?pinch\b|(?:zest|juice)\s+(?:of\s+)?[\d½])|\s\*\s|\s(?:\.{3}|…)\s)\s*(?:and\s+|&\s+|plus\s+)?(?:for\s+the\s+[a-z]+\s+(?=\d))?"
)
_TITLED = re.compile(
    r"^([^\W\d_][^.:,;!\d]{2,60}?(?:\s+for\s+\d{1,2})?)[.!]+\s+(?:((?:(?:serves|makes|feeds|for)\s+)?\d{1,2}(?:\s*[-–]\s*\d{1,2})?(?:\s+[^\W\d_]+){0,2})\.\s+)?(?=[\d½¼¾⅓⅔])",
    re.I,
)
# "RICE PUDDING (baked), 4 helpings. 3 oz rice, ..."
_TITLED_AND_COUNTED = re.compile(
    r"^([^\W\d_][^.:;!\d]{2,60}?)[,;–—-]+\s*((?:(?:serves|makes|feeds|for|enough for)\s+)?\d{1,2}(?:\s*[-–]\s*\d{1,2})?(?:\s+[^\W\d_]+){0,2})[.:]\s+(?=[\d½¼¾⅓⅔])",
    re.I,
)
# How far an amount and the beginning of a food may reach.
LOOK_AHEAD = 60
# So many foods behind a name and a full stop are its list.
LEAST_FOODS = 3


def run_on(raw: str) -> list[str]:
    """Return the foods of a line that holds several, each with its amount, or the line as it is."""
    text = raw.strip()
    if (
        mixed := re.match(r"^(?:mix|combine|stir|whisk)(?: together)?:\s+(?=[\d½¼¾⅓⅔])", text, re.I)
    ) and "." not in text[mixed.end() : -1]:
        return _split(text[mixed.end() :])  # "Mix together: 3 tbsp sugar, 1 tsp cinnamon"
    if told := _led(text) or _after_its_part(text):
        return told
    is_headed = _HEADED.match(text) or _DASHED.match(text) or _lists_behind_a_deed(text)
    if len(text) < 12 or (first_word(text) in word_list("verb") and not is_headed):
        return [raw]
    if told := _titled(text) or _dashed(text):
        return told
    if washed := _WASH.match(text):
        return _split(text[washed.end() :])
    if named := re.match(r"^([^\W\d_][^:,;]{1,40}):\s+(?=\S)", text):
        if statements(text[: named.end() + LOOK_AHEAD]) and not is_food_with_amount(text[named.end() :].split(",")[0]):
            return [raw]  # "Yield: 1 (9-inch) pie, 8 servings"
        return _headed(named[1], _MARKED.sub("", text[named.end() :])) or [raw]
    if not begins_food(text) and (behind := _amounts_behind(text)):
        return behind  # "Sugar 2 cups, water 1/2 cup, butter 1 T"
    return _split_before_the_method(text)


def _lists_behind_a_deed(text: str) -> bool:
    """Return whether a line tells foods with their amounts behind what is done with them: "melt: butter 110 g, treacle 75 g"."""
    named = re.match(r"[^\W\d_]+(?: [^\W\d_]+)?:\s+(?=\S)", text)
    return named is not None and bool(_amounts_behind(text[named.end() :], LEAST_BEHIND_A_DEED))


LEAST_BEHIND_A_DEED = 2


def _titled(text: str) -> list[str]:
    """Return a dessert's name, what it makes, its foods and how, where one line tells all ("Date slice. 200 g dates, 150 ml water, 1 egg"), or none."""
    titled = _TITLED.match(text) or _TITLED_AND_COUNTED.match(text)
    parts = _split(text[titled.end() :]) if titled else []
    if titled is None or len(parts) < LEAST_FOODS:
        return []
    last, *method = re.split(r"\.\s+(?=[A-Z])", parts[-1], maxsplit=1)
    return [part for part in (titled[1], titled[2], *parts[:-1], last, *method) if part]


def _dashed(text: str) -> list[str]:
    """Return a part's name and its foods, where a dash or capitals divide them ("PASTRY 200 g flour, 100 g butter"), or none."""
    part = _DASHED.match(text) or _SHOUTED.match(text)
    if part is None:
        return []
    if len(parts := _split(text[part.end() :])) > 1:
        return [f"{part[1]}:", *parts]
    is_part = part[1].lower() in word_list("component") - word_list("verb") | _PLACES
    # "base - half a pack (125 g) of ginger nuts & 50 g butter"
    return [f"{part[1]}:", text[part.end() :]] if is_part and begins_food(text[part.end() :]) else []


def _split_before_the_method(text: str) -> list[str]:
    """Return the foods of a line, and how, where that is told behind the last of them: "50 g semolina, 1 egg. Bring the milk to the boil"."""
    *foods, told = _split(text)
    last, *method = _METHOD_BEHIND.split(told, maxsplit=1) if len(foods) >= LEAST_FOODS else [told]
    is_told = bool(method) and first_word(method[0]) in word_list("verb")
    return [*foods, last, *method] if is_told else [*foods, told]


# "Filling - 2 eggs, 100 g sugar", "PASTRY 200 g plain flour, 100 g butter"
_DASHED = re.compile(
    r"^(?!.*\bif (?:large|small)\b)([^\W\d_][^:,;\d]{1,30}?)(?:\s+[–—-]{1,3}|(?<=[a-z]{3})[–—-])\s+(?=[\d½¼¾⅓⅔]|half\s+an?\b|half\s+[a-z]+\s*\()"
)
_PLACES = frozenset({"top", "middle", "bottom"})
_PART_FIRST = re.compile(r"^([^\W\d_]{3,12})\s+(?=[\d½¼¾⅓⅔])")
_SHOUTED = re.compile(r"^([A-Z][A-Z]+(?:[ &/][A-Z]+){0,3})\s+(?=[\d½¼¾⅓⅔])")


def _led(text: str) -> list[str]:
    """Return the foods of a line that words lead in ("You want a pound of plums, four ounces of butter, two eggs. Beat well."), or none."""
    if (led := _LED.match(text)) and len(parts := _split(text[led.end() :])) >= LEAST_FOODS:
        last, *method = _METHOD_BEHIND.split(parts[-1], maxsplit=1)
        return [*parts[:-1], last, *method]
    top = _TOPPED.fullmatch(text)
    return [f"{top[1]}:", top[2]] if top else []


def _after_its_part(text: str) -> list[str]:
    """Return a part's name and its foods where nothing divides them ("base 200 g digestives, 100 g butter"), or none."""
    part = _PART_FIRST.match(text)
    is_part = part is not None and part[1].lower() in (word_list("component") - word_list("verb")) | _PLACES
    return [f"{part[1]}:", *_split(text[part.end() :])] if part and is_part and begins_food(text[part.end() :]) else []


# "Top: whipped cream"
_TOPPED = re.compile(r"(top|topping|garnish|decoration)\s*:\s+([a-z]+(?: [a-z]+){0,2})", re.I)


def _headed(prefix: str, rest: str) -> list[str]:
    """Return a part's name and its foods, where one line tells both ("Filling: 2 eggs, 100 g sugar"); none where it tells something else."""
    if _FOR_THE_END.fullmatch(prefix) and not re.search(r"[\d.]", rest):
        named = re.split(r",?\s+(?:and|&)\s+|,\s*", rest)
        if all(len(one.split()) <= LONGEST_NAME for one in named):
            return [f"{prefix}:", *named]
    if _FOR_THE_END.fullmatch(prefix) and (
        begins_food(rest) or _FOOD_THEN_AMOUNT.match(rest) or _AMOUNT_BEHIND.match(rest)
    ):
        return [f"{prefix}:", *_split(rest)]  # "To coat: 400 g desiccated coconut"
    if _FOR_THE_END.fullmatch(prefix) and (some := _some_measured(rest)):
        return [f"{prefix}:", *some]
    rest = _OR_BOUGHT.sub("", rest)
    if bare := _bare_foods(rest) or _amounts_behind(rest, LEAST_BEHIND_A_DEED):
        return [f"{prefix}:", *bare]
    is_part = (
        prefix.lower() in word_list("component") | {"fruit"}
        or (prefix[:1].isupper() and prefix.lower().split()[-1] in word_list("component") - word_list("deed_food"))
        or IN_THE_BOWL.fullmatch(prefix)
        or WHAT_GOES_IN.fullmatch(prefix)
        or re.fullmatch(
            r"(?:fold|stir|mix|add|beat) in|(?:after|before) (?:bak|cook|cool|chill)ing|at the end|last(?: of all)?",
            prefix,
            re.I,
        )
    )
    if len(_split(rest)) < 2 and not (is_part and begins_food(rest)):
        return []
    if _ITS_KIND.fullmatch(rest):
        return [f"{rest} {prefix}"]  # "Cream: 600 ml double": one food, its name before the colon
    *foods, told = _split(rest)
    last, *method = _METHOD_BEHIND.split(told, maxsplit=1)
    if _LEADS_THE_LIST.match(prefix):
        return [*foods, last, *method]  # "I always use the same pot: 1 litre of milk, ..."
    return [f"{prefix}:", *foods, last, *method]


# Words that lead in what goes in, and name no part.
_LEADS_THE_LIST = re.compile(r"(?:I|we|you|it|this|my|our)\b|.*\b(?:use|need|takes|wants)\b", re.I)
_ITS_KIND = re.compile(
    r"\d[\d.,/]*\s*(?:g|kg|ml|l|cl|oz|lbs?|tbsps?|tsps?|cups?)\.?\s+(?:double|single|whipping|heavy|clotted|soured|thick|dark|white|brown|plain|self[- ]raising)",
    re.I,
)


def _some_measured(rest: str) -> list[str]:
    """Return the foods of a short list of which some have no amount: "beaten egg, 1 tbsp demerara sugar"; none where it is no such list."""
    parts = [part for part in re.split(r",\s*|\s+and\s+", rest.rstrip(".")) if part]
    is_food = [begins_food(part) or (len(part.split()) <= 3 and not re.search(r"[\d.]", part)) for part in parts]
    return parts if 1 < len(parts) <= 5 and all(is_food) and any(map(begins_food, parts)) else []


# "Crust: use your own or 1 bought pie crust"
_OR_BOUGHT = re.compile(r"^(?:use\s+)?(?:your\s+own|home-?made)[^,;.\d]{0,24}\bor\s+(?=\d)", re.I)
# What a letter begins its list with.
_LED = re.compile(
    r"(?:take|you(?:['’]ll| will)? (?:want|need)|it takes|use|I use|get)\s+(?=[\d½¼¾⅓⅔]|(?:an?|half|one|two|three|four|five|six|eight|ten|twelve)\b)",
    re.I,
)
# "Egg wash: 1 egg + 1 tbsp milk": brushed on, and no part of its own.
_WASH = re.compile(r"(?:egg[- ]?)?wash\s*:\s+(?=\d|an?\b|one\b)", re.I)
# "Top: 1 cup cream", "In the jug: 1 egg": a part, and no "Top with cream".
_HEADED = re.compile(
    r"[Ii]n(?:to)? (?:the|an?|another|one) [^:;.\d]{3,24}:\s|(?:fold|stir|mix|add|beat) in:\s+[\d½¼¾⅓⅔]|[^\W\d_]+(?:-[^\W\d_]+)?:\s+(?:[\d½¼¾⅓⅔]|(?:grated )?(?:zest|juice)\b)|[A-Z]{3,}\s+(?:[–—-]{1,3}\s+)?[\d½¼¾⅓⅔]"
)
# "To decorate: writing icing": what the part is for, and its one food.
_FOR_THE_END = re.compile(
    r"(?:to|for)\s+(?:decorat|serv|finish|garnish|dust|glaz|coat|fill|top|sprinkl|drizzl|roll|dip|brush|fry|sandwich)(?:e|ing)?|finish|toppings?|garnish|decorations?|(?:to go )?on top",
    re.I,
)
LONGEST_NAME = 5
# What marks the first food behind the colon: "In the jug: * 1 egg".
_MARKED = re.compile(r"^[*•·▪–-]\s*(?=[\d½¼¾⅓⅔])")
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


def _amounts_behind(rest: str, least: int = LEAST_FOODS) -> list[str]:
    """Return the foods of a list whose amounts stand behind them ("flour 250 g; sugar 50 g; salt, pinch"); none where it is no such list."""
    parts = [part.strip() for part in rest.rstrip(".").split(";" if rest.count(";") > 1 else ",") if part.strip()]
    behind = [part for part in parts if _AMOUNT_BEHIND.search(part) and len(part.split()) <= LONGEST_FOOD]
    told = [part for part in parts if part in behind or (begins_food(part) and len(part.split()) <= LONGEST_FOOD)]
    return parts if len(parts) >= least and len(told) == len(parts) and 2 * len(behind) > len(parts) else []


LONGEST_FOOD = 7
_AMOUNT_BEHIND = re.compile(
    r"^[^\W\d_][^\d;]{1,40}?[\s,]+(?:[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔]*\s*(?:g|kg|ml|l|cl|dl|oz|lbs?|cups?|tsps?|tbsps?|\w*spoons?|pcs?|pieces?|leaves|sheets?|sticks?|large|medium|small|[tTc])?(?!\w)\.?|(?:an?\s+)?(?:pinch|dash|handful))(?:\s+(?:block|pack|packet|bag|tin|can|tub|pot|jar))?(?:\s*\([^()]*\))?(?:,\s*[^\d;]+|\s+[a-z]+(?:ed|en))?$",
    re.I,
)


def named_then_told(raw: str) -> tuple[str, str] | None:
    """Return the name and the method of a recipe that is told in one go: "Flapjacks, the easy way. Melt 175 g butter ..."."""
    named = re.match(r"^([^\W\d_][^.:;\d]{2,60})[.:]\s+(?=\S)", raw)
    if not named or first_word(named[1]) in word_list("verb") | word_list("method") | word_list("component"):
        return None
    rest = raw[named.end() :]
    return (named[1], rest) if first_word(rest[:20]) in word_list("verb") and re.search(r"\d", rest) else None


def all_in_one(raw: str) -> list[str]:
    """Return the statements of a line that tells two parts or more with their foods ("Crust -- 1 c. flour, ... Filling -- 2 eggs, ..."); else none."""
    if told := _named_and_headed(raw):
        return told
    if shouted := _under_its_head(raw):
        return shouted
    if whole := _TOLD_WHOLE.match(raw):
        # "Treacle tart. Quantities for 12 portions: pastry 500 g, syrup 900 g. Line a tin ..."
        listed = _amounts_behind(whole["foods"]) or _split(whole["foods"])
        if len(listed) >= LEAST_FOODS:
            return [whole["title"], f"{whole['head']}:", *listed, *([whole["method"]] if whole["method"] else [])]
    parts = list(_PART_TOLD.finditer(raw))
    if len(parts) < LEAST_PARTS:
        return []
    told = [raw[: parts[0].start()].strip(" :.–—-")]
    for n, part in enumerate(parts):
        inside = raw[part.end() : parts[n + 1].start() if n + 1 < len(parts) else len(raw)].strip()
        foods, *method = _METHOD_BEHIND.split(inside, maxsplit=1) if n + 1 == len(parts) else [inside]
        if len(listed := _split(foods)) < LEAST_LISTED:
            return []
        told += [f"{part['part']}:", *listed, *method]
    return [one for one in told if one]


def _named_and_headed(raw: str) -> list[str]:
    """Return the statements of a recipe in one line with its headings ("Almond Thins: Ingredients: 100 g butter, ... Method: Melt ..."); else none."""
    named = _NAMED_AND_HEADED.match(raw)
    if named is None:
        return []
    *foods, told = _split(named["foods"].rstrip(". "))
    if len(foods) + 1 < LEAST_FOODS:
        return []
    return [part for part in (named["title"], "INGREDIENTS", *foods, told, "METHOD", named["method"]) if part]


_NAMED_AND_HEADED = re.compile(
    r"^(?P<title>[A-Z][^:\d]{2,60}?)[:.]\s+(?:Ingredients|You need|You will need)\s*:\s*(?P<foods>.+?)[.;]?\s+(?:Method|Directions|Instructions|Preparation|To make)\s*:\s*(?P<method>.+)$",
    re.S,
)


def _under_its_head(raw: str) -> list[str]:
    """Return a shouted heading and all that one line tells behind it ("INGREDIENTS For 4 servings 2 cups berries 1/4 cup sugar ..."); none where it is no such line."""
    head = _SHOUTED_HEAD.match(raw)
    if head is None or len(raw) < LEAST_LONG:
        return []
    rest = raw[head.end() :]
    shouted = head[1].upper()
    if shouted != "INGREDIENTS":
        return [shouted, rest]
    said = _YIELD_FIRST.match(rest)
    begins = [found.start() for found in _AMOUNT_BEGINS.finditer(rest, said.end() if said else 0)]
    foods = [rest[a:b].strip(" ,;") for a, b in zip(begins, [*begins[1:], len(rest)], strict=True)]
    if len(foods) < LEAST_FOODS:
        return []
    told = [part for food in foods for part in _before_a_part(food)]
    return [shouted, *([said[1]] if said else []), *told]


def _before_a_part(food: str) -> list[str]:
    """Return the last food of one part and the name of the next ("1 tbsp coffee. Buttercream:"), or the food alone."""
    found = _PART_LAST.match(food)
    return [found[1], f"{found[2]}:"] if found else [food]


# A line that tells so much is no heading alone [characters] (judgement).
LEAST_LONG = 60
_SHOUTED_HEAD = re.compile(
    r"\s*(INGREDIENTS|METHOD|INSTRUCTIONS|DIRECTIONS|PREPARATION|(?:Ingredients|Method|Instructions|Directions)(?=:))\b:?\s+(?=\S)"
)
# "1 tbsp strong coffee. Buttercream:": the last food of one part, and the name of the next.
_PART_LAST = re.compile(r"(.+?)[.;,]?\s+([A-Z][^\W\d_]+(?: [^\W\d_]+){0,2}):$")
_YIELD_FIRST = re.compile(r"((?:for|serves|makes)\s+\d{1,2}(?:\s+(?:servings|people|portions|pieces))?)[:,.]?\s+", re.I)
# An amount behind the last word of the food before it.
_AMOUNT_BEGINS = re.compile(
    r"(?:^|(?<=[a-z)]\s)|(?<=[a-z),],\s)|(?<=\s))(?:\d+\s+\d/\d|\d+/\d|\d+|[½¼¾⅓⅔])\s*(?:cups?|tbsps?|tsps?|tablespoons?|teaspoons?|g|kg|ml|oz|lbs?|pounds?|cans?|[a-z]{4,})\b(?<!servings)",
    re.I,
)
_TOLD_WHOLE = re.compile(
    r"^(?P<title>[A-Z][^.:;\d]{2,60})[.!]\s+(?P<head>(?:ingredients|quantities|amounts|you (?:will )?need|take|list)\b[^.:;]{0,40}):\s+(?P<foods>[^.]+(?:\.\d[^.]*)*)(?:\.\s+(?P<method>[A-Z].*))?$",
    re.I | re.S,
)
# So many parts, each with so many foods, are a recipe in one line.
LEAST_PARTS = 2
LEAST_LISTED = 2
_PART_TOLD = re.compile(
    r"(?:^|(?<=[.:;!])\s)\s*(?P<part>[A-Z][^\W\d_]+(?: [^\W\d_]+){0,2})\s*(?:--|[–—:]|\s-)\s*(?=[\d½¼¾⅓⅔])"
)
# Behind the last food of the line.
_METHOD_BEHIND = re.compile(r"\.\s+(?=[A-Z][a-z]+[\s,])")


# "1 egg yolk, pearl sugar 20 g": another food, its amount behind it.
_FOOD_THEN_AMOUNT = re.compile(
    r"(?!(?:about|approx\w*|around|or|and|each|total|net|weight|juice|zest|flesh|plus|for|to|from|the|in|at|cut|if|you|with|per|roughly|makes|serves|gives)\b)(?!\w+(?:ed|ing)\b)[a-z][^\W\d_]{2,}(?:\s(?!(?:about|weight|or|net|total)\b)[^\W\d_]{3,}){0,2}\s+\d[\d.,/½¼¾]*\s*(?:g|kg|ml|tbsps?|tsps?|cups?|oz)\b\.?(?=\s*(?:[,;]|$))",
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


def _split(text: str) -> list[str]:
    parts, start, depth = [], 0, 0
    for match in _RUN_ON.finditer(text):
        depth = text.count("(", 0, match.start()) - text.count(")", 0, match.start())
        rest = text[match.end() :]
        if depth <= 0 and (
            begins_food(rest)
            or (";" in match[0] and _is_named_alone(rest, text))
            or _FOOD_THEN_AMOUNT.match(rest)
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
    return [p.strip() for part in parts for p in _part_within(part) if p.strip()]


_AMOUNT_AT_END = re.compile(r"\s*[;,]\s+(?P<amount>\d[\d.,/]*\s*(?:g|kg|ml|tbsps?|tsps?|cups?))\s*$", re.I)


def _part_within(text: str) -> list[str]:
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
    text = clean(text[:LOOK_AHEAD])
    if re.match(
        r"(?:finely )?(?:grated )?(?:zest|juice|rind)(?: (?:and|&|\+) (?:zest|juice))? (?:(?:of|from) )?(?:\d/\d|\d|½|an?\b|one|two|half)(?:\s?[½¼¾]|\s\d/\d)?(?![\d½¼¾/]|\W*$|\s*[,(]|\s+(?:and|of (?:it|them))\b)",
        text,
        re.I,
    ):
        return True
    if re.match(r"(?:freshly\s+)?(?:ground|grated)\s+(?:nutmeg|cinnamon|cardamom)\b", text, re.I):
        return True
    if re.match(
        r"(?:a\s+)?(?:bit\s+of|splash|pinch|dash|drop\s+of|glug|knob)\s+(?:of\s+)?(?!the\b|it\b|this\b|a\b)[a-z]{3,}(?:\s+[a-z]+)?\s*(?:[,;.]|$)",
        text,
        re.I,
    ):
        return True
    if _IN_ITS_BOWL.match(text) or _A_BIT_MORE.match(text):
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
        and re.match(r"[-\s]*\w+ed\b", rest)
        and re.match(r"(?:two-|three-)?(?:half|thirds?|quarters?)", text)
    ):
        return False  # "two-thirds ground, the rest chopped"
    if amount.unit is None and not re.match(r"\d|a\b|an\b|" + "|".join(rf"{w}\b" for w in WORDS), text, re.I):
        return False
    # "for dusting", "about 120 g": the same food still.
    return bool(
        re.match(
            # "225 g/8 oz digestives": the amount again.
            r"\s*(?:/\s*[\d½⅓⅔¼¾⅛.,]+\s*(?:oz|fl\.?\s?oz|lbs?|g|ml|pints?|cups?)\.?)?\s*(?:\([^()]*\)\s*)?(?:of\s+)?(?:\d+\s*%\s*)?(?!for\b|to\b|about\b|or\b|if\b|each\b|more\b|extra\b|flesh\b|peeled\b|prepared\b|net\b|drained\b|(?:(?:of\s+)?(?:the\s+)?(?:juice|zest)\W*$)|in all\b|in total\b|altogether\b|weight\b|(?:(?:loaf|cake|round|square|sandwich|springform)\s+)?(?:tin|pan|dish)\b)(?:[^\W\d_]{2,}|b\.\s?(?=powder\b|soda\b)|(?:[a-z]\.\s?){2,}[a-z]{3,})",
            rest,
            re.I,
        )
    ) and not re.match(r"\s*(?:min|hour|day|week|night|month|cm|inch|°|%|x\b)", rest)


# "250 g spelt flour, half wholemeal": what half of it is.
_PART_OF_IT = re.compile(r"half\s+(?:wholemeal|whole[- ]?wheat|white|plain|of it|of them)\b", re.I)


def first_word(text: str) -> str:
    found = re.search(r"[^\W\d_]+", text)
    return fold(found[0]) if found else ""


def is_food_with_amount(text: str) -> bool:
    found = None if _IN_ITS_BOWL.match(text) else read_amount(text)
    return bool(found and re.search(r"[^\W\d_]{3,}", text[found[1] :]))


# "plus a bit more for dusting"
_A_BIT_MORE = re.compile(r"(?:an?\s+)?(?:wee\s+)?(?:bit|little|touch|few|handful)\s+(?:more|extra)\b", re.I)
# "A - brown it": which bowl it goes in, and no one of anything.
_IN_ITS_BOWL = re.compile(r"[A-D]\s*[-–—:]")
