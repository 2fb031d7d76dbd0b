"""Amounts of food in sentences: what only the method names, or all of a recipe that has no list ("Take 4 oz butter and ...")."""

from __future__ import annotations

import re
from collections.abc import Iterator

from sun_crumb.core.quantities.measures import units
from sun_crumb.core.reading.amounts import read_amount, without_unit_stops
from sun_crumb.core.reading.same_again import SAME_AGAIN, is_measured

_NUMBER = re.compile(
    r"(?<![\w.,/°½⅓⅔¼¾⅛-])(?:\d|[½⅓⅔¼¾⅛]|\b(?:a|an|one|two|three)\s+(?=(?:\w+\s+)?(?:tsp|tbsp|teaspoon|tablespoon|cup|pinch|handful|(?:splash|dash|glug)(?!\s+(?:of\s+)?(?:\w+\s+)?water))))",
    re.I,
)
_END = re.compile(
    r"[,.;:()\[\]–—+&]|\bw/|\b(?:and|with|to|into|in|until|till|over|on|onto|for|then|or|from|at|by|plus|per|each|while|when|once|if|as|"
    r"is|are|before|after|apart|around|between|beaten|through|together|twice|thrice|(?:two|three|four|several) times|y|e|et|und|con|mit|avec)\b",
    re.I,
)
# Words that refer back to the list, or to the tin, not to one more food.
_BACK = re.compile(
    r"\b(?:remaining|reserved|rest|other|half|more|extra|the|this|that|these|those|your|our|at)\s*$", re.I
)
_TIN = re.compile(
    r"(?:\b(?:greas\w*|oil(?:ed|ing)|butter(?:ed|ing)|line|lining|roll\w*|cut\w*|slic(?:e|es|ing)|divid\w*|pip(?:e|es|ed|ing)|chop(?:s|ping)?)\b|(?:^|[.;,:]\s*|\band\s+)(?:oil|butter)\b)[^.;,]*$",
    re.I,
)
# "200 g rolled oats", "6 slices": how a food comes, and nothing that is done
_HOW_IT_COMES = re.compile(
    r"(?:\d|[½¼¾])\s*(?:kg|g|ml|l|oz|lbs?|cups?|c|tbsps?|tsps?)?\b\.?\s+(?:[a-z]+\s+){0,2}?(?:rolled|cut|sliced|chopped|buttered|oiled|diced|slices?)\b",
    re.I,
)
# "Makes a good litre of ice cream"
_YIELDS = re.compile(
    r"\b(?:makes?|yields?|gives)\s+(?:(?:about|roughly|around|just|over|under|up|to|an?|good|generous)\s+)*$", re.I
)
# "3 stiffly whipped egg whites"
_BEATEN = re.compile(
    r"^\s*(?:(?:well|lightly|stiffly)[- ])?(?:beaten|(?:whipped|whisked|separated|stiff)(?=\s+(?:egg\s+)?(?:whites?|yolks?|eggs?)\b))\s+",
    re.I,
)
# "Butter the moulds and put a tablespoon of syrup in each"
_ANOTHER_DEED = re.compile(
    r"\b(?:and|then)\s+(?=(?:put|pour|spoon|add|place|drop|scatter|sprinkle|drizzle|tip|whisk|mix|stir|beat|fold)\b)",
    re.I,
)
# "2 tablespoons of batter": what is made here, and no food.
_IN_THE_MAKING = frozenset(
    {
        "batter",
        "dough",
        "mixture",
        "mix",
        "filling",
        "topping",
        "pastry",
        "frosting",
        "icing",
        "glaze",
        "custard",
        "syrup",
    }
)
# In a recipe without a list also these begin a food: "half a teaspoon of cinnamon", "a dozen plums", "an egg".
_TOLD_NUMBER = re.compile(
    rf"{_NUMBER.pattern}|(?<![\w-])(?:half\s+an?|an?|one|two|three|four|five|six|eight|ten|twelve)\s+(?=[^\W\d_]{{3}})",
    re.I,
)
# "pinch salt"
_PINCH = re.compile(r"(?<![\w-])(?P<said>(?:pinch|dash|drizzle|knob|handful|splash)\s+(?:of\s+)?[^\W\d_]+)", re.I)
# "the yolks of eight eggs and the whites of four"
_OF_EGGS = re.compile(
    r"\b(?P<part>yolks?|whites?)\s+of\s+(?P<count>\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|twelve)(?:\s+eggs?)?\b",
    re.I,
)
# "the juice of 1½ lemons"
_OF_FRUIT = re.compile(
    r"\b(?:(?:finely\s+)?grated\s+)?(?:zest|juice|rind)(?:\s+(?:and|&)\s+(?:zest|juice|rind))?\s+(?:(?:of|from)\s+|(?=\d|½))"
    r"(?:[\d½¼¾][\d½¼¾/]*|half\s+an?|an?|one|two|three)\s+(?:large\s+|small\s+|big\s+|unwaxed\s+)?[^\W\d_]+",
    re.I,
)
# "Cream the butter (100 g) with the sugar (150 g)"
_BEHIND = re.compile(
    r"(?<![^\W\d_])(?P<name>[^\W\d_]+(?:[ -][^\W\d_]+){0,2})\s*\((?P<amount>(?:about |approx\.? )?[\d½¼¾][\d.,/½¼¾]*\s*(?:kg|g|ml|l|oz|lbs?|cups?|tbsps?|tsps?)\b\.?)\)",
    re.I,
)
_LEADING = re.compile(
    r"^(?:.*\b(?:the|and|with|of|in|to|add|then|your|both|into|on|over|cream|melt|mix|stir|whisk|beat|fold|sift|rub|put)\s+)+",
    re.I,
)
_A_CASE = re.compile(r"\b(?:case|shell|crust|base)\b[^.;]{0,20}$", re.I)
_DEEDS = frozenset({"put", "drop", "form", "shape", "make", "place", "scoop", "take", "cut", "use"})
# "Roll in 50 g sugar": what a method alone tells of is bought.
_ROLLED_IN = re.compile(r"\broll\w*\s+(?:(?:them|it|the \w+)\s+)?in\b[^.;,]*$", re.I)
# "Slice 2 bananas on top"
_CUT_UP = re.compile(r"\b(?:slice|chop|dice|grate|peel|core|halve|mash)\s+(?:up\s+)?$", re.I)
# "Chop 200 g dates and 50 g nuts"
_CHOPPED = re.compile(r"\b(?:chop|slice|dice|grate)\s+\d[^.;]*$", re.I)
# "Divide 400 g yoghurt between four bowls"
_SHARED = re.compile(r"\b(?:divide|share|split)\w*\s+(?:the\s+)?$", re.I)
_WEIGHT = re.compile(r"\d[\d.,]*\s*(?:g|kg|ml|l|oz|lbs?)\b", re.I)
# What is done to a food behind its name is no part of it.
_DONE_BEHIND = frozenset(
    {
        "mixed",
        "tossed",
        "soaked",
        "rubbed",
        "macerated",
        "sweetened",
        "whisked",
        "combined",
        "dissolved",
        "altogether",
        "all",
        "well",
        "first",
        "w",
        "one",
    }
)
# "900g/2lb loaf tin", "160C fan"
_NO_FOOD = re.compile(
    r"\s*(?:[°º%]|fan\b|min(?:ute)?s?\b|hours?\b|hrs?\b|sec(?:ond)?s?\b|cm\b|mm\b|inch|degree|of the\b|/?\s*(?:\d+\s*(?:lb|oz|g|kg|ml)\s+)?(?:\w+\s+)?(?:tins?|pans?)\b)"
)
_HEAT = re.compile(r"\d{3}\s*[CF]\b")
# "a spoon (tbsp) of milk"
_WHICH_SPOON = re.compile(r"\bspoon(?:ful)?s?\s*\(\s*(tbsp|tsp|dsp|tablespoons?|teaspoons?)\s*\)", re.I)
# "dates if you've got them (about 60 g)"
_IF_THERE = re.compile(
    r",?\s+if you(?:['’]ve| have|['’]d| like| want| fancy)(?: got| like)?(?: them| it| any| some)?(?=\s*[(,;.]|$)", re.I
)
# "1 bottle (750 ml) red wine"
_HOLDING = re.compile(
    r"\b(?:1|an?|one)\s+(?:bottle|tin|can|carton|packet|pack|tub|pot|jar|bag|bar|block)\s*\((\d[\d.,]*\s*(?:g|kg|ml|cl|l|oz|lbs?)\.?)\)\s*(?:of\s+)?",
    re.I,
)
_WEIGHED = re.compile(r"\s*\((?:about\s+|approx\.?\s+|~)?(\d[\d.,]*\s*(?:g|oz))\)", re.I)
_SPOON_BY_SPOON = re.compile(
    r"\s+(?:spoon|spoonful|tablespoon|cup|little) by (?:spoon|spoonful|tablespoon|cup|little)\b", re.I
)
# "for an hour and a half": no half of anything
_HOUR_AND_A_HALF = re.compile(r"\b(hours?|minutes?|years?|inch(?:es)?)\s+and\s+a\s+half\b", re.I)
_ENDS_THERE = re.compile(r"\.\s+[A-Z]")
MOST_WORDS = 4
MOST_MENTIONS = 30
MOST_TRIED = 60
LONGEST = 90
# What belongs to a pinch stands so near before it [characters] (judgement).
NEAR = 20
# What stands before an amount is looked through so far [characters].
BEFORE = 60


def mentions(step: str, *, is_list: bool = False) -> list[str]:
    """Return the statements of an amount and a food in one step, as an ingredient line would say them.

    What the words around an amount send back to the list ("the remaining 50 g sugar") or to the tin ("grease with 1 tsp
    oil") is left out; so are times, temperatures and sizes, which name no food.

    Parameters
    ----------
    step
        What one step tells.
    is_list
        Whether the recipe has no list, so that the step is all that tells its foods: then also "an egg", "the juice of a
        lemon" and "the butter (100 g)" are statements.

    Examples
    --------
    >>> mentions("Cool for 10 minutes, then dust with 2 tbsp icing sugar.")
    ['2 tbsp icing sugar']
    >>> mentions("Whisk in the remaining 50 g sugar and bake at 180 °C.")
    []
    >>> mentions("Beat the butter (100 g) with an egg and the juice of 2 lemons.", is_list=True)
    ['100 g butter', 'an egg', 'juice of 2 lemons']
    """
    step = _IF_THERE.sub("", step)
    step = _SPOON_BY_SPOON.sub("", _HOUR_AND_A_HALF.sub(r"\1", _HOLDING.sub(r"\1 ", without_unit_stops(step))))
    step = _SELF_RAISING.sub("self-raising ", step)
    step = _OF_THREE.sub(r"\1 \2, \1 \3, \1 \4", step)
    step = _OF_EACH.sub(r"\1 \2 and \1 \3", step)
    if is_list:
        step = _as_much(_in_its_unit(_LOOSELY.sub(r"\3 \2", _WHICH_SPOON.sub(r"\1", step))))
    found = list(_amounts_first(step, is_list=is_list))
    if is_list:
        fruit = [(m.start(), m.end(), m[0]) for m in _OF_FRUIT.finditer(step)]
        found = [(at, said) for at, said in found if not any(start <= at < end for start, end, _ in fruit)]
        found += [(start, said) for start, _, said in fruit]
        eggs = [(m.start(), m.end(), f"{m['count']} egg {m['part']}") for m in _OF_EGGS.finditer(step)]
        found = [(at, said) for at, said in found if not any(start <= at < end for start, end, _ in eggs)]
        found += [(start, said) for start, _, said in eggs]
        found += [*_other_parts(step), *_cases_in(step)]
        behind = [(m.start("amount"), f"{m['amount']} {_LEADING.sub('', m['name'])}") for m in _BEHIND.finditer(step)]
        behind += [
            (m.start(), f"a {m['said']}")
            for m in _PINCH.finditer(step)
            if not re.search(
                r"(?:\b(?:an?|good|big|small|the)|\d)\s+$", step[max(0, m.start() - NEAR) : m.start()], re.I
            )
        ]
        # "a big handful of oats (40 g)": what it weighs is said in the bracket.
        loose = [(m.start("name") + len(m["name"]), m["name"].split()[-1].lower()) for m in _BEHIND.finditer(step)]
        found = [
            (at, said)
            for at, said in found
            if not any(at < end <= at + LONGEST and said.lower().split()[-1] == name for end, name in loose)
        ]
        behind += [(m.start("amount"), f"{m['amount']} {m['name'].lower()}") for m in _LABELLED.finditer(step)]
        taken = {at for at, _ in behind}
        found = [(at, said) for at, said in found if at not in taken] + behind
    else:
        # "Top with blueberries (50 g)"
        found += [(m.start("amount"), f"{m['amount']} {_LEADING.sub('', m['name'])}") for m in _BEHIND.finditer(step)]
    return [said for _, said in sorted(found)][:MOST_MENTIONS]


def _cases_in(step: str) -> Iterator[tuple[int, str]]:
    """Yield the case of pastry that a step takes ready made, where none is made there: "a 25 cm pastry case, blind-baked"."""
    case = _READY_CASE.search(step)
    if case and not _MAKES_PASTRY.search(step):
        yield case.start(), "1 shortcrust pastry case"


_READY_CASE = re.compile(
    r"\b(?:an?|one|1|your|the)\s+(?:\d{1,2}\s?-?(?:cm|inch|in|\")\s+)?(?:(?:ready|pre)[- ]?(?:made|baked)\s+|(?:blind-?|un)?baked\s+|sweet\s+|(?:shop-?)?bought\s+)*(?:pastry\s+(?:case|shell)|(?:pie|tart)\s+(?:shell|case|crust))\b",
    re.I,
)
_MAKES_PASTRY = re.compile(
    r"\b(?:rub(?:bed)?|roll(?:ed)?\s+out|dough|knead|pastry\s*:)\b|\d\s*g\s+(?:[a-z]+\s+){0,2}pastry\b", re.I
)


def _other_parts(step: str) -> Iterator[tuple[int, str]]:
    """Yield the whites, or the yolks, of eggs whose other part is told by their number: "the yolks of 3 eggs", and later "the 3 egg whites"."""
    counted = _COUNTED_PARTS.finditer(step) if not _WHOLE_EGGS.search(step) else ()
    for told in (*_OF_EGGS.finditer(step), *counted):
        part, other = ("yolk", "white") if told["part"].lower().startswith("yolk") else ("white", "yolk")
        later = re.compile(rf"\bthe\s+{told['count']}\s+(?:egg\s+)?{other}s\b", re.I).search(step, told.end())
        if later and not re.search(rf"\b{part}s?\s+and\s+{other}s?\b", step, re.I):
            yield later.start(), f"{told['count']} egg {other}s"


# "beat in 4 yolks", where no whole eggs are told
_COUNTED_PARTS = re.compile(
    r"(?<!the )\b(?P<count>\d{1,2}|two|three|four|five|six)\s+(?:egg\s+)?(?P<part>yolk|white)s\b(?!\s+of\b)", re.I
)
_WHOLE_EGGS = re.compile(
    r"\b(?:\d{1,2}|one|two|three|four|five|six|an)\s+(?:[a-z]+\s+)?eggs?\b(?!\s+(?:whites?|yolks?))", re.I
)
_SELF_RAISING = re.compile(r"\bs\.?\s?r\.?\s(?=flour)", re.I)
# "6oz each butter, sugar & s.r. flour"
_OF_THREE = re.compile(
    r"(?<![\w.,/])(\d[\d.,/½¼]*\s*(?:g|ml|oz|cups?|tsps?|tbsps?))\s+each\s+(?:of\s+)?([^\W\d_]+(?:\s[^\W\d_]+)?),\s+([^\W\d_]+(?:\s[^\W\d_]+)?),?\s+(?:and|&)\s+((?:[a-z]\.\s?){0,2}[^\W\d_]+(?:-[^\W\d_]+)?(?:\s[^\W\d_]+)?)(?=\s*[,.;])",
    re.I,
)
# "80 g each of almonds and hazelnuts"
_OF_EACH = re.compile(
    r"(?<![\w.,/])(\d[\d.,/½¼]*\s*(?:g|ml|oz|cups?|tsps?|tbsps?|teaspoons?|tablespoons?))\s+each\s+(?:of\s+)?([^\W\d_]+(?:\s[^\W\d_]+)?)\s+(?:and|&)\s+(?=[^\W\d_])([^\W\d_]+)",
    re.I,
)


def _in_its_unit(step: str) -> str:
    """Return a step with the unit that a number leaves out: "300 grams of flour, 200 of butter"."""
    told, at = [], 0
    for bare in _OF_THE_SAME.finditer(step):
        units_before = _UNIT_TOLD.findall(step[: bare.start()])
        if units_before:
            told += [step[at : bare.end("number")], f" {units_before[-1]}"]
            at = bare.end("number")
    return "".join([*told, step[at:]])


def _as_much(step: str) -> str:
    """Return a step with the amount that a food has from the one before it: "half a pound of butter, the same of sugar"."""
    told, at = [], 0
    for same in SAME_AGAIN.finditer(step):
        near = step[max(0, same.start() - LONGEST) : same.start()]
        before = [found[0] for n in _TOLD_NUMBER.finditer(near) if (found := read_amount(near[n.start() :]))]
        weighed = [amount for amount in before if is_measured(amount)]
        if weighed:
            told += [step[at : same.start()], f"{weighed[-1].text} of "]
            at = same.end()
    return "".join([*told, step[at:]])


_TOLD = r"[\d½¼¾][\d.,/½¼¾]*\s*(?:kg|g|ml|cl|l|oz|lbs?|cups?|tbsps?|tsps?|(?:tea|table|dessert)spoon(?:ful)?s?)\b\.?"
# "a splash of milk, say 3 tbsp"
_LOOSELY = re.compile(
    rf"\b(?:an?\s+)?(splash|bit|little|drop|glug|knob|lump|handful|heap)\s+(?:of\s+)?([^\W\d_]+(?:\s[^\W\d_]+)?),?\s+(?:say|about|maybe|perhaps|around)\s+({_TOLD})",
    re.I,
)
# "Ginger: 2 teaspoons, heaped."
_LABELLED = re.compile(rf"(?:^|[.;]\s+)(?P<name>[A-Z][^\W\d_]+(?:\s[a-z]+)?):\s+(?P<amount>{_TOLD})(?=\s*[,.;(]|$)")
_OF_THE_SAME = re.compile(
    r"(?<![\w.,/])(?P<number>\d{2,4})\s+of\s+(?!the\b|them\b|these\b|those\b|it\b)(?=[^\W\d_]{3})", re.I
)
_UNIT_TOLD = re.compile(r"(?<=\d)\s?(g|grams?|grammes?|ml)\b", re.I)


def fruit_parts_in(step: str) -> list[str]:
    """Return what a step takes of a fruit by its part and number: "zest of half a lemon"."""
    return [said[0] for said in _OF_FRUIT.finditer(step)]


def _amounts_first(step: str, *, is_list: bool) -> Iterator[tuple[int, str]]:
    """Yield where an amount begins that a food follows, and both as an ingredient line says them."""
    number = _TOLD_NUMBER if is_list else _NUMBER
    kinds = ("mass", "volume", "pinch", "count", *(("piece",) if is_list else ()))
    at = tried = many = 0
    while many < MOST_MENTIONS and tried < MOST_TRIED and (start := number.search(step, at)):
        window = step[start.start() : start.start() + LONGEST]
        amount = read_amount(window)
        at, tried = start.end(), tried + 1
        if amount is None or _ENDS_THERE.match(window, max(amount[1] - 1, 0)):
            continue  # "into 8 cups. Chill": another sentence
        at = max(start.start() + amount[1], at)
        before = _HOW_IT_COMES.sub(" ", step[max(0, start.start() - BEFORE) : start.start()])
        if _is_no_food_behind(before, step[start.start() :], is_list=is_list):
            continue
        said = amount[0].text
        kind = units()[amount[0].unit].kind if amount[0].unit else "count"
        if amount[0].unit == "handful":
            kind = "count"
            if weighed := _WEIGHED.match(window, amount[1]):
                # "a handful (about 50 g) of sultanas"
                said, amount = weighed[1], (amount[0], weighed.end())
        rest = _BEATEN.sub(" ", window[amount[1] :])
        is_of = kind == "piece" and re.match(r"\s+of\s", rest) and not re.search(r"\b(?:in|into)\s+$", before)
        if (kind not in kinds and not is_of) or _NO_FOOD.match(rest) or _HEAT.match(window):
            continue
        words = _named_behind(rest, before if is_list else "")
        if words and words[0].lower() in _DEEDS:
            continue  # "with two teaspoons put small balls"
        if not words and amount[0].unit == "clove":
            yield start.start(), said  # "2 cloves and a strip of zest": the unit is the food
        is_bought = is_list and kind == "mass" and words == ["syrup"]
        if not words or (len(words) == 1 and words[0].lower() in _IN_THE_MAKING and not is_bought):
            continue
        many += 1
        yield start.start(), f"{said} {' '.join(words)}"


def _is_no_food_behind(before: str, amount: str, *, is_list: bool) -> bool:
    """Return whether what stands *before* an amount says that it is no more food: "the remaining 50 g", "cut into 12 pieces", "makes a good litre".

    *is_list* where sentences are all that tells the foods: what is rolled in, cut up or shared out by weight is one there.
    """
    if _BACK.search(before) or _YIELDS.search(before):
        return True
    if not _TIN.search(_ANOTHER_DEED.split(before)[-1]):
        return False
    is_shared = (_SHARED.search(before) or _CHOPPED.search(before)) and _WEIGHT.match(amount)
    return not (is_list and (_ROLLED_IN.search(before) or _CUT_UP.search(before) or is_shared))


def _named_behind(rest: str, before: str) -> list[str]:
    """Return the words behind an amount that name its food; *before* is what stands before it where a sentence is all that tells it."""
    end = _END.search(rest)
    words = re.split(r"(?=\d)", rest[: end.start()] if end else rest)[0].split()[:MOST_WORDS]
    while words and words[0].lower() in ("of", "your"):
        words = words[1:]
    while words and words[-1].lower() in _DONE_BEHIND:
        words = words[:-1]
    if words == ["pastry"] and _A_CASE.search(before):
        return ["shortcrust", "pastry"]  # "a 25 cm pastry case (about 300 g pastry)"
    return words
