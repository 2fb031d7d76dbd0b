"""The statements in one ingredient line: two where it names two foods, or two parts of a fruit."""

from __future__ import annotations

import re
from collections.abc import Sequence

from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.citrus_abroad import in_english
from sun_crumb.core.reading.food_ends import AMOUNT_BEHIND
from sun_crumb.core.reading.fruit_parts import AND_MORE, fruit_behind, of_a_fruit_and_more
from sun_crumb.core.reading.line import TRAILING, clean, parse_line
from sun_crumb.core.reading.plainly import plainly
from sun_crumb.core.reading.records import Amount
from sun_crumb.core.reading.remembered import remembered

_OF_EGGS = re.compile(
    r"^(?:the\s+)?(?P<part>whites?|yolks?)\s+(?:of|from)\s+(?P<count>(?:\d+|one|two|three|four|five|six|seven|eight|ten|twelve)(?:\s+(?!eggs?\b)\w+)?)(?:\s+eggs?)(?:\s*(?:,|and|&|\+)+\s*(?:the\s+)?(?P<part_two>whites?|yolks?)\s+(?:of|from)\s+(?P<count_two>\d+|one|two|three|four|five|six|seven|eight|ten|twelve)(?:\s+eggs?)?)?$",
    re.I,
)
_INSIDE_OF = re.compile(
    r"^(?:the\s+)?(?:(?:scraped|grated|mashed|chopped|puréed)\s+)?(?:seeds|flesh|pulp|insides|leaves)\s+(?:of|from)\s+(?P<rest>(?:\d|[½¼]|half\s|an?\s|one\s|two\s|three\s).+)$",
    re.I,
)
_FOR_USE = re.compile(r"\s*(?:(?:extra|more)?\s*(?:for|to)\b|(?:extra|more)\s*$)", re.I)


@remembered
def split_line(text: str) -> tuple[str, ...]:
    """Return the ingredient statements in one line: two where it names two foods ("2 eggs plus 1 yolk")."""
    text = _OF_THE_LISTED.sub("", text) if "of the" in text else text
    text = in_english(plainly(_LARGE_EGGS.sub(lambda m: f"{m[1]} {_EGG_SIZES[m[2].upper()]} {m[3]}", text)))
    return tuple(
        _from_a_tin(text)
        or _made_up(text)
        or _of_eggs(text)
        or fruit_behind(text)
        or of_a_fruit_and_more(text)
        or _each_of_several(text)
        or _brushed_and_more(text)
        or _summed(text)
        or _both_to_serve(text)
        or _both_weighed(text)
        or _both_measured_behind(text)
        or _tossed_with(text)
        or _spread_with(text)
        or _soaked_in(text)
        or _each_to_its_end(text)
        or [text]
    )


def statement_of(texts: Sequence[str], at: int) -> str:
    """Return what the line at *at* says of its own food, where several lines in a row of *texts* came from one; nothing where that is unclear.

    Examples
    --------
    >>> statement_of(["200 g flour", "100 g icing sugar and 1 tbsp water", "100 g icing sugar and 1 tbsp water"], 2)
    '1 tbsp water'
    """
    told = split_line(clean(texts[at]))
    same = [n for n, text in enumerate(texts) if text == texts[at]]
    return told[same.index(at)] if len(told) == len(same) else ""


# "2 L eggs" are large ones, and no litres.
_LARGE_EGGS = re.compile(
    r"^(\d+|one|two|three|four|five|six)\s+(XL|L|M|S)\.?\s+((?:free[- ]range\s+|organic\s+)?eggs?\b)", re.I
)
_EGG_SIZES = {"XL": "extra large", "L": "large", "M": "medium", "S": "small"}


def _from_a_tin(text: str) -> list[str] | None:
    """Read "aquafaba from 1 tin chickpeas": a tin's worth of what is in it."""
    if found := _FROM_A_TIN.match(text):
        food = "aquafaba" if found["food"].lower() in ("liquid", "brine") else found["food"]
        return [f"{found['much']} {food}" if found["much"] else f"{found['count'] or 1} tin {food}"]
    if found := _CREAM_OF_A_TIN.match(text):
        return [f"{found['count'] or 1} x {found['size'] or '400 ml'} tin coconut milk, only the cream"]
    if _LIQUID_OF_A_TIN.search(text) and read_amount(text):
        # What a bracket says of the liquid counts; the tin's own weight is its pulses'.
        inside = re.search(r"(?:[\d½⅓⅔¼¾]|[\d.]+\s)[\d/.]*\s*(?:ml\b|cups?\b|tbsps?\b|tablespoons?\b)", text)
        tins = re.match(r"\s*(\d+|an?|one|two)\b", text)
        return [f"{inside[0] if inside else f'{tins[1] if tins else 1} tin'} aquafaba"]
    return None


# "Cream from 1 chilled 400 ml tin of coconut milk"
_CREAM_OF_A_TIN = re.compile(
    r"^(?:the\s+)?(?:thick\s+|solid\s+|set\s+)?(?:cream|solids?|part)\s+(?:only\s+)?(?:from|of)\s+(?:(?P<count>\d|one|two|an?)\s+)?(?:x\s+)?(?:chilled\s+|cold\s+)?(?:(?P<size>\d{3}\s*(?:ml|g))\s+)?(?:chilled\s+)?(?:tins?|cans?)(?:\s+of)?\s+(?:chilled\s+)?(?:full[- ]fat\s+)?coconut milk\b",
    re.I,
)
_LIQUID_OF_A_TIN = re.compile(
    r"\bchick\s?peas?\b.*\b(?:just|only)\s+the\s+(?:liquid|brine|water)\b|\bchick\s?peas?\b.*\b(?:liquid|brine)\s+only\b"
    # "1 tin chickpeas - you need 150 ml of the liquid"
    r"|\bchick\s?peas?\b.*\b(?:need|use|want|keep|reserve)\b.*\b(?:liquid|brine|aquafaba)\b",
    re.I,
)
_FROM_A_TIN = re.compile(
    r"^(?:the\s+)?(?P<food>aquafaba|liquid|brine|cream|juice)\s+(?:from|of)\s+(?:(?P<count>\d|one|two|an?)\s+)?(?:\([^)]*\)\s*|\d+\s*g\s+)?(?:tins?|cans?|jars?)\b(?:\s+(?:of\s+)?chick\s?peas)(?:\W+(?:about\s+|approx\.?\s+|ca?\.?\s*)?(?P<much>\d+\s*(?:ml|g)))?",
    re.I,
)


def _of_eggs(text: str) -> list[str] | None:
    """Read "the whites of 2 eggs" and "seeds of a vanilla pod"."""
    if eggs := _OF_EGGS.match(text):
        more = [f"{eggs['count_two']} egg {eggs['part_two']}"] if eggs["part_two"] else []
        return [f"{eggs['count']} egg {eggs['part']}", *more]
    if inside := _INSIDE_OF.match(text):
        return [inside["rest"]]
    return None


def _both_to_serve(text: str) -> list[str] | None:
    """Read "maple syrup and berries to serve": two foods, without an amount."""
    both = _BOTH_TO_SERVE.match(text)
    return [f"{both['one']} {both['use']}", f"{both['two']} {both['use']}"] if both else None


_BOTH_TO_SERVE = re.compile(
    r"^(?P<one>[^\W\d_]+(?: [^\W\d_]+)?) (?:and|&|y|et|e|und|och|og|en) (?P<two>[^\W\d_]+(?: [^\W\d_]+)?),? (?P<use>(?:para|per|pour|zum|till|til) [^\W\d_]+|(?:to|for) (?:serve|fill|filling|sandwich|serving|glaze|glazing|decorate|finish|garnish|dust|top|topping|the top|sprinkle|sprinkling))$",
    re.I,
)


def _both_weighed(text: str) -> list[str] | None:
    """Read "8 slices bread, buttered (about 300 g bread and 50 g butter)": what a bracket tells of each of two."""
    if not (found := _BOTH_WEIGHED.match(text)):
        return None
    return [f"{found['all'].strip(' ,')} ({found['one']})", found["two"]]


_BOTH_WEIGHED = re.compile(
    r"^(?P<all>[^()]+)\((?:about\s+)?(?P<one>\d+\s*g)\s+[a-z]+\s+(?:and|\+|plus)\s+(?P<two>\d+\s*g\s+[a-z]+)\)$", re.I
)


def _both_measured_behind(text: str) -> list[str] | None:
    """Read "jam 150 g and double cream 200 ml to fill": two foods, the amount of each behind it."""
    both = _MEASURED_BEHIND.match(text)
    return (
        [f"{both['much']} {both['one']}{both['use']}", f"{both['more']} {both['two']}{both['use']}"] if both else None
    )


_MEASURED_BEHIND = re.compile(
    r"^(?P<one>[^\W\d_]+(?: [^\W\d_]+){0,2}) (?P<much>\d+ ?(?:g|ml|oz|tbsp|tsp|cups?)) (?:and|&|\+|plus) (?P<two>(?!extra\b|more\b)[^\W\d_]+(?: [^\W\d_]+){0,2}) (?P<more>\d+ ?(?:g|ml|oz|tbsp|tsp|cups?))(?P<use>,? (?:to|for) [a-z ]+)?$",
    re.I,
)


def _tossed_with(text: str) -> list[str] | None:
    """Read "1 lb strawberries, tossed with ¼ cup sugar", "mashed with 2 tbsp icing sugar": two foods."""
    found = _TOSSED.match(text)
    if found is None or not read_amount(found["two"]):
        return None
    # "strawberries 1 lb, mashed with 2 tbsp icing sugar"
    is_first = read_amount(found["one"]) or AMOUNT_BEHIND.match(found["one"])
    return [found["one"], found["two"]] if is_first else None


_TOSSED = re.compile(
    r"^(?P<one>.+?)[,\s]+(?:and\s+|then\s+)?(?:toss(?:ed)?\s+(?:with|in)|(?:mashed|mushed|crushed|macerated|sprinkled|sweetened|cooked|stewed|blended)(?:\s+up)?\s+(?:with|w/))\s+(?P<two>(?:the\s+)?[\d½¼¾⅓⅔][^,;]*?)(?:\s+and\s+\w+ed)?(?:[,;].*)?$",
    re.I,
)


def _spread_with(text: str) -> list[str] | None:
    """Read "8 slices bread, buttered (40 g butter)": the bracket weighs what is spread on it."""
    found = _SPREAD_WITH.match(text)
    return [f"{found['one']}, {found['done']}", found["two"]] if found else None


_SPREAD_WITH = re.compile(
    r"^(?P<one>[\d½¼¾].*?),?\s+(?P<done>(?:\w+ly\s+)?(?:buttered|oiled|spread|brushed)(?:\s+(?:on\s+)?(?:both|one)\s+sides?)?)\s*\((?:with\s+)?(?:about\s+)?(?P<two>\d[^()]*?\b(?:butter|margarine|spread|oil|jam))\)\s*$",
    re.I,
)


def _soaked_in(text: str) -> list[str] | None:
    """Read "40 g raisins (soaked in 2 tbsp rum)": what they drink goes in with them, unless it is poured off."""
    found = _SOAKED_IN.match(text)
    one, two = (found["one"] or found["dry"], found["two"] or found["wet"]) if found else ("", "")
    amount = read_amount(two)
    if amount is None or amount[0].unit is None:
        return None
    return [f"{one}, soaked", two] if _NAMES_FOOD.match(two[amount[1] :]) else None


_SOAKED_IN = re.compile(
    r"^(?P<one>[\d½¼¾].*?[a-z]),?\s*\((?:soaked|plumped|macerated|steeped)(?:\s+(?:overnight|first))?\s+in\s+(?P<two>[\d½¼¾][^(),;]*)\)$"
    # "200 g prunes (stoned) in 150 ml hot tea"
    r"|^(?P<dry>\d[\d./]*\s*(?:g|oz|cups?)\s[^,;\d]*?)\s+in\s+(?P<wet>\d[\d./]*\s*(?:ml|cups?|tbsps?)\s+(?:hot |cold |boiling |warm |strong )?(?:tea|water|milk|juice|[a-z]+ juice|coffee|rum|brandy))$",
    re.I,
)


def _each_to_its_end(text: str) -> list[str] | None:
    """Read "icing sugar to dust, apple sauce to serve": two foods, each with what it is for."""
    found = _TO_ITS_END.fullmatch(text)
    return [found["one"], found["two"]] if found else None


_TO_AN_END = r"[a-z]+(?: [a-z]+){0,2} (?:to|for) (?:the )?(?:dust|dusting|serve|serving|decorate|finish|top|topping|sprinkle|sprinkling|glaze|glazing)"
_TO_ITS_END = re.compile(rf"(?P<one>{_TO_AN_END})\s*[,;&]\s*(?:and )?(?P<two>{_TO_AN_END})", re.I)


def _brushed_and_more(text: str) -> list[str] | None:
    """Read "milk and 1 tbsp demerara sugar, to glaze": what is brushed on goes without an amount."""
    found = _BRUSHED.match(text)
    amount = read_amount(found["more"]) if found else None
    return [f"a little {found['what']}, to glaze", found["more"]] if found and amount and amount[0].unit else None


_BRUSHED = re.compile(
    r"^(?:a little\s+|some\s+)?(?P<what>(?:beaten\s+|melted\s+)?(?:milk|egg|egg wash|egg white|cream|water|butter))\s+(?:and|&|\+|plus)\s+(?P<more>[\d½¼¾⅓⅔].*)$",
    re.I,
)


# "50 g breadcrumbs, fried in 25 g of the butter": of a food that stands on its own line
_OF_THE_LISTED = re.compile(
    r",?\s*\b(?:fried|toasted|browned|tossed|mixed|softened|cooked)\s+in\s+[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]*\s*(?:g|ml|oz|tbsps?|tsps?)\s+of\s+the\s+[a-z]+\b",
    re.I,
)


def _summed(text: str) -> list[str] | None:
    """Read "2 eggs plus 1 yolk" and "200 g sugar plus 2 tbsp for dusting"; None for "1 cup plus 2 tbsp flour"."""
    cut = AND_MORE.search(text)
    if not cut or text.count("(", 0, cut.start()) > text.count(")", 0, cut.start()):
        return None
    left, right = text[: cut.start()], _MORE_OF_AN_EGG.sub(" ", text[cut.end() :], count=1)
    if "soaked" in cut[0] and re.search(r"\b(?:drained|squeezed|discard)", right, re.I):
        return None  # "soaked in 1 cup water, drained": the water goes
    if _TOO_LITTLE.match(right) and read_amount(left):
        return [left.rstrip(" ,")]  # "plus a little extra", "plus a knob for the dish"
    first, second = read_amount(left), read_amount(right)
    is_food = second is not None and second[0].unit is not None and _NAMES_FOOD.match(right[second[1] :])
    is_behind = _BLOOMED.search(cut[0]) or is_food
    if second and not first and is_behind and (behind := TRAILING.search(left.rstrip(" ,"))):
        # "Gelatine powder 3 tbsp, bloomed in 1/2 cup water", "flour 75 g + 5 tbsp water": its amount stands behind it.
        return [left.rstrip(" ,"), right] if read_amount(behind["amount"]) else None
    if not first or not second:
        return None
    if together := _weighed_and_more(left, first, right, second):
        return [together]  # "2/3 cup (146 grams) plus 1 tablespoon sugar"
    is_bare = not re.sub(r",?\s*divided\b", "", right[second[1] :]).strip()
    is_apart = is_bare and (
        cut[0].lstrip().startswith(",") or _HELD_WEIGHT.search(left) is not None
    )  # "50 g sugar, plus 1 tbsp"
    if second[0].unit and (_FOR_USE.match(right, second[1]) or is_apart):
        # "plus 1 tablespoon for the tin": more of the same food.
        return [left, f"{right[: second[1]]} {parse_line(left).name}"]
    is_named = re.search(r"[a-z]{3,}", left[first[1] :], re.I) is not None
    return _two_named(left, right, second[1]) if is_named else None


def _two_named(left: str, right: str, at: int) -> list[str] | None:
    """Return two statements where the second, whose amount ends *at*, names a food of its own or what more of the first is for."""
    name = right[at:]
    if _NAMES_FOOD.match(name):
        return [left, right]
    if re.match(r"\s*(?:extra\s+|more\s+)?(?:for|to)\b", name, re.I):
        return [left, f"{right[:at]} {parse_line(left).name}, {name.strip()}"]
    return None


def _weighed_and_more(left: str, first: tuple[Amount, int], right: str, second: tuple[Amount, int]) -> str:
    """Return one statement of two amounts of one food where a weight stands beside the first: "2/3 cup (146 grams)", "250 g/2 cups"; else nothing."""
    beside = _BESIDE.fullmatch(left[first[1] :].strip())
    other = read_amount((beside[1] or beside[2]).strip()) if beside else None
    if other is None:
        return ""
    weights = [amount.text for amount in (first[0], other[0]) if amount.unit in _IN_GRAMS]
    more = _HELD_WEIGHT.match(right, second[1] + right[second[1] : second[1] + 1].count(" "))
    right = f"{more[0].strip('() ')}{right[more.end() :]}" if more else right
    return f"{(weights or [first[0].text])[0]} plus {right}"


_IN_GRAMS = frozenset({"g", "kg", "oz", "lb"})
_BESIDE = re.compile(r"\(\s*([^()]+)\)|/\s*([^()]+)")
# "1 cup (200 g) sugar"
_HELD_WEIGHT = re.compile(r"\(\s*(?:about\s+)?\d[\d.,]*\s*(?:g|grams?|kg|oz)\s*\)")
_NAMES_FOOD = re.compile(r"\s*(?:\([^()]*\)\s*)?(?:of\s+)?(?!for\b|to\b|extra\b|more\b)[a-z]{3,}", re.I)
_TOO_LITTLE = re.compile(
    r"an?\s+(?:little|bit|touch)\s+(?:extra|more)\b|an?\s+(?:\w+\s+)?(?:knob|little|bit|spot|pat|touch|splash|drop)\s+(?:more\s+)?(?:for|to)\s+"
    r"(?:(?:the|your|a)\s+)?(?:dish|tin|pan|tray|moulds?|greas|butter|brush|bowl|surface)",
    re.I,
)


# "2 eggs + 1 extra white"
_MORE_OF_AN_EGG = re.compile(r"(?<=\d)\s+(?:extra|more|additional)\s+(?=(?:egg\s+)?(?:whites?|yolks?)\b)", re.I)
_BLOOMED = re.compile(r"\b(?:bloomed|softened|soaked|sprinkled|dissolved|slaked|mixed|stirred)\b", re.I)


def _made_up(text: str) -> list[str] | None:
    """Read "1 egg, made up to 150 ml with milk": the rest of it is milk; or None."""
    if not (found := _MADE_UP.match(text)):
        return None
    count = {"a": 1, "an": 1, "one": 1, "two": 2, "three": 3}.get(found["count"].lower()) or int(found["count"])
    whole, liquid = found["all"] or found["whole"], found["liquid"] or found["topped"]
    return [f"{found['count']} {found['eggs']}", f"{whole} minus {EGG_ML * count} ml {liquid}"]


# What a hen's egg of middle size fills [ml] (common practice).
EGG_ML = 46
_MADE_UP = re.compile(
    r"^(?P<count>\d|an?|one|two|three)\s+(?P<eggs>(?:\w+\s+)?eggs?),?\s*(?:beaten,?\s+)?(?:(?:and\s+)?made up to\s+(?P<all>.{1,24}?)\s+with\s+(?P<liquid>milk|buttermilk|water|cream)"
    # "1 egg + milk to make 300 ml"
    r"|(?:\+|plus|and|&)\s*(?P<topped>milk|buttermilk|water|cream),? to make (?:up to )?(?P<whole>\d.{1,20}))$",
    re.I,
)


_SPICES = re.compile(r"\b(?:cinnamon|nutmeg|cloves?|allspice|mace|cardamom|mixed spice)\b", re.I)
# "Butter & sugar, 100g each"
_EACH_BEHIND = re.compile(
    r"^(?P<one>[a-z]+(?: [a-z]+)?)\s*(?:&|and|\+)\s*(?P<two>[a-z]+(?: [a-z]+)?)\s*[,:–-]?\s*\(?(?P<amount>\d+(?:[.,]\d+)?\s*[a-z]+)\s+(?:of\s+)?each\)?(?:,\s*(?:for|to)\s[a-z ]+)?$",
    re.I,
)
_EACH = re.compile(
    r"^(?P<amount>.{1,24}?)\s+(?:each|of each)\s*(?:of\b\s*)?(?::\s*)?(?:ground\s+)?(?P<foods>[a-z][a-z ,&-]+)$", re.I
)


# "cinnamon, cloves, nutmeg - a pinch each"
_SEVERAL_EACH_BEHIND = re.compile(
    r"^(?P<foods>[a-z][a-z ]*(?:,\s*[a-z][a-z ]*)+(?:,?\s*(?:and|&)\s*[a-z ]+)?)\s*[-–—:,(]\s*(?P<amount>(?:(?:an?|1|one|half an?)\s+)?(?:pinch|dash|handful)|[\d½¼¾⅓⅔][\d./½¼¾⅓⅔]*\s*(?:g|ml|tsps?|tbsps?|cups?|teaspoons?|tablespoons?))\s+(?:of\s+)?each\)?$",
    re.I,
)


def _each_of_several(text: str) -> list[str] | None:
    """Read "1/2 tsp each: cinnamon, nutmeg, cloves": a statement for each, or None."""
    if behind := _EACH_BEHIND.match(text):
        return [f"{behind['amount']} {behind[food]}" for food in ("one", "two")]
    if not (found := _EACH.match(text) or _SEVERAL_EACH_BEHIND.match(text)):
        return None
    foods = [part.strip() for part in re.split(r"\s*(?:,|&|\band\b)\s*", found["foods"]) if part.strip()]
    if len(foods) < 2:
        return None
    if _SPICES.search(found["foods"]):
        # Beside other spices ginger is the ground one.
        foods = ["ground ginger" if food.lower() == "ginger" else food for food in foods]
    return [f"{found['amount']} {food}" for food in foods]
