"""Lines whose role their own words, or the lines beside them, leave no doubt of: a page's trail, a date, a name that a line end has torn."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Mapping, Sequence
from itertools import pairwise

from sun_crumb.core.reading.food_ends import begins_food, first_word
from sun_crumb.core.reading.headings import names_a_part
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.oven_heat import TIMED
from sun_crumb.core.reading.physical import Physical, Statement
from sun_crumb.core.reading.portion_asides import bare_count
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Role
from sun_crumb.core.reading.several import split_line
from sun_crumb.core.reading.words import word_list
from sun_crumb.core.reading.wrapped import wrapped


def certain_roles(
    lines: Sequence[Physical],
    found: Sequence[Statement],
    told: Mapping[str, Known],
    known: Callable[[str], Known],
) -> dict[int, Role]:
    """Return the roles that are certain, by the numbers of their lines.

    Parameters
    ----------
    lines, found
        The lines of a text, and what they say.
    told, known
        What the pantry says of each statement, and of any other.
    """
    several = Counter(s.line.number for s in found)
    alone = [s for s in found if several[s.line.number] == 1]
    return {
        **_of_a_page(found),
        **_below_the_page(found, told),
        **_table_heads(lines),
        **_heat_and_time(found),
        **_so_long(found),
        **_lists_first(found, told),
        **_marked_steps(found, told),
        **wrapped(found),
        **_bare_parts(found, told),
        **_named_fields(found),
        **{s.line.number: "junk" for s in alone if _SAYS_NO_FOOD.fullmatch(s.text)},
        **_oven_first(found),
        **_labels(found),
        **{s.line.number: "step" for s in found[1:] if _counts_first(s.text)},
        **_short_steps(found),
        **_below_its_trail(found),
        **{s.line.number: "step" for s in found if _TO_BROWN.match(s.raw.strip())},
        **{s.line.number: "note" for s in found if _VARIES.match(s.text)},
        **{s.line.number: "note" for s in found if _OF_ITSELF.fullmatch(s.text)},
        **_portions_first(found),
        **_told_beside(found),
        **_broken_names(found, told, known),
    }


# Portions that stand first have a name and two foods below them; a page below a list of so many foods is over [1].
LEAST_BELOW, LEAST_TOLD_FOODS = 2, 3


def _of_a_page(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that a page begins with, where one of the first leads to its other pages: the site's name and that."""
    for n, statement in enumerate(found[:MOST_HEAD_LINES]):
        words = set(re.findall(r"[a-z]+", statement.text.lower()))
        if len(words & word_list("page_lead")) >= LEAST_LEADS and not re.search(r"\d", statement.text):
            return {s.line.number: "junk" for s in found[: n + 1]}
    return {}


def _below_the_page(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines at a page's end that lead on to other pages and tell what readers said: below the recipe, and none of it food."""
    weighed = [known.has_food and known.has_unit for known in (told[s.text] for s in found)]
    for n, statement in enumerate(found):
        is_told = sum(weighed[:n]) >= LEAST_TOLD_FOODS
        leads_on = _LEADS_ON.match(statement.text) and not any(weighed[n:])
        if is_told and (leads_on or _READERS.fullmatch(statement.text)):
            return {s.line.number: "junk" for s in found[n:]}
    return {}


def _named_fields(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines of a form that ask for the dessert's name, and the line below each that tells it: "Name" and "Carrot cake"."""
    for asks, told in pairwise(found[:MOST_OF_A_FORM]):
        if asks.text.strip(" :").lower() in _ASKS_A_NAME and told.line.number > asks.line.number:
            return {asks.line.number: "junk", told.line.number: "title"}
    return {}


# "October 12", "3 May 2019": when it was written
_MONTH = r"(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)\.?"
_DATED = rf"(?:(?:posted|published|updated|written)\s+(?:on\s+)?)?(?:{_MONTH}\s+\d{{1,2}}(?:st|nd|rd|th)?|\d{{1,2}}(?:st|nd|rd|th)?\s+(?:of\s+)?{_MONTH})(?:,?\s+(?:19|20)\d\d)?\W*|{_MONTH}\s+(?:['’]\d\d|(?:19|20)\d\d)\W*"


def _oven_first(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines in small letters that begin with the oven's heat and go on: "oven 150, 120 once it's in"."""
    return {s.line.number: "step" for s in found if _OVEN_THEN.match(s.raw.strip())}


_OVEN_THEN = re.compile(r"oven\s+(?:on\s+)?(?:at\s+|to\s+)?\d{2,3}\b.*[a-z]{3}")


# Such a share of what a line tells is foods with their amounts, where it is a list (judgement).
MOST_OF_IT = 0.75


def _lists_first(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the line that a text begins with where it holds several foods, each with its amount, and no name: "You need: 4 eggs, 200 g sugar, 1 lemon"."""
    first = [told[s.text] for s in found if s.line.number == found[0].line.number] if found else []
    foods = sum(known.has_food and known.has_amount for known in first)
    is_list = foods >= LEAST_TOLD_FOODS and foods >= MOST_OF_IT * len(first) and begins_food(found[0].text)
    return {found[0].line.number: "food"} if is_list else {}


def _so_long(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that say for how long, and no food: "2 months easy"."""
    return {s.line.number: "note" for s in found if _A_WHILE.match(s.text) and len(s.text.split()) <= MOST_A_WHILE}


# A line that says for how long and no more has so many words (judgement).
MOST_A_WHILE = 4
_A_WHILE = re.compile(
    r"\W*(?:about |up to |for )?\d{1,2}(?:\s?[-–]\s?\d{1,2})?\s+(?:months?|weeks?|days|years?)\b", re.I
)


def _marked_steps(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines below a list that bear a mark, of their own or most before what is done, and begin with no amount: "- Marshmallows in, off the heat"."""
    marks = [(_MARK.match(s.raw) or [""])[0].strip() for s in found]
    foods = [n for n, s in enumerate(found) if told[s.text].has_food and told[s.text].has_amount]
    if len(foods) < LEAST_TOLD_FOODS:
        return {}
    after = [n for n in range(foods[-1] + 1, len(found)) if marks[n]]
    own = {marks[n] for n in after} - {marks[n] for n in range(foods[-1] + 1)}
    # From the first that tells what is done they are steps, whatever mark they bear: "• whisk all", "• chill", "• mango on top".
    done = [n for n in after if first_word(found[n].text) in word_list("verb") - word_list("deed_food")]
    is_told = 2 * len(done) > len(after)
    steps = [
        n for n in after if (marks[n] in own or (is_told and n >= done[0])) and not re.search(r"\d", found[n].text[:6])
    ]
    return {found[n].line.number: "step" for n in steps} if len(steps) >= LEAST_BELOW else {}


_MARK = re.compile(r"^\s*[^\w\s\"'“‘(\[½¼¾⅓⅔⅛#]{1,3}(?=\s*[^\W\d_])")


def _labels(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that tell what a portion holds, as a label does: "1 serving • 390 kcal • 14 g protein"."""
    return {
        s.line.number: "portions" if statements(s.line.raw) else "junk"
        for s in found
        if _ENERGY.search(s.line.raw) and len(s.line.raw) < SHORT_STEP and _NUTRIENT.search(s.line.raw)
    }


def _counts_first(text: str) -> bool:
    """Return whether a line tells how many there are, and more in a sentence behind: "Ten slices. Freezes like a dream"."""
    first, *behind = re.split(r"[.!]\s+(?=[A-Z])", text, maxsplit=1)
    count = bare_count(first) if behind and len(first.split()) <= MOST_A_WHILE else None
    return count is not None and count.count is not None and count.count.kind in ("piece", "person")


_ENERGY = re.compile(r"\d\s*(?:kcal|calories|cals?|kj)\b|\bcalories\b", re.I)
_NUTRIENT = re.compile(r"\b(?:protein|carbs?|carbohydrates?|fat|fibre|fiber|sugars?|sodium|salt)\b", re.I)


def _heat_and_time(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that begin with the oven's heat and how long, and say no more than that and the tin: "350 / 1 hr / loaf pan"."""
    several = Counter(s.line.number for s in found)
    return {
        s.line.number: "step"
        for s in found
        if several[s.line.number] == 1 and len(s.text) < SHORT_STEP and TIMED.match(s.text)
    }


def _below_its_trail(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines of a page above the dessert's name where the trail that leads there ends with it: "Home", "Baking", "Oat bars" and "Oat bars" again."""
    foods = next((n for n, s in enumerate(found) if begins_food(s.raw)), len(found))
    head = [(s.line.number, s.raw.strip(" *#=").lower()) for s in found[: min(foods, MOST_OF_A_FORM)]]
    for n, (number, name) in enumerate(head):
        again = next((m for m, (_, said) in enumerate(head[:n]) if said == name), None)
        if again is not None and len(name.split()) > 1 and re.fullmatch(r"[^\d:]*[^\W\d_]{3}[^\d:]*", name):
            return {**{line: "junk" for line, _ in head[:n]}, number: "title"}
    return {}


def _short_steps(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines that tell in a few words all that is done, up to the oven: "Mix, fill 18 cases, 20 min at 180"."""
    several = Counter(s.line.number for s in found)
    return {
        s.line.number: "step"
        for s in found
        if several[s.line.number] == 1
        and len(s.line.raw) < SHORT_STEP
        and _DONE_AT.search(s.text)
        and first_word(s.text) in word_list("verb")
    }


# No longer than this is a step in a few words [characters].
SHORT_STEP = 100
# "4.8 (211)": how many readers liked it; "easy": how hard it is
_RATED = r"\W*[1-5][.,]\d\s*\(\d{1,5}\)\W*"
_LEVEL = r"\W*(?:(?:difficulty|level|skill)(?: level)?\s*[:=-]?\s*)?(?:very |quite |super )?(?:easy|simple|medium|intermediate|beginner|advanced|tricky|hard|difficult|challenging)\W*"
_FREE_OF = r"\W*(?:(?:no|without)\s+(?:added\s+|refined\s+)?(?:sugar|gluten|dairy|egg|nuts?)s?|(?:gluten|dairy|sugar|egg|nut)[- ]free|vegan|vegetarian)\W*"
_SIZE_OF_ONE = r"\W*serving size\b.{0,60}"
_SO_MUCH = r"\W*(?:yields?|makes|gives)\s*:?\s*(?:about|approx\.?|around|roughly)?\s*[\d½¼¾][\d½¼¾.,/ ]*\s*(?:lbs?|pounds?|kg|g|grams|oz|ounces|ml|litres?|liters?|l|pints?|quarts?|cups?)\b\.?\W*"
_SO_MANY_JARS = r"\W*(?:about\s+|approx\.?\s+)?\d{1,2}\s+(?:small\s+|large\s+)?(?:jars?|bottles?)(?:\s*(?:of|x|à)?\s*\d+\s*(?:ml|g))?(?:\s+each)?\W*"
_SAYS_NO_FOOD = re.compile(f"{_SO_MUCH}|{_SO_MANY_JARS}|{_SIZE_OF_ONE}|{_DATED}|{_RATED}|{_LEVEL}|{_FREE_OF}", re.I)
# "a third of the base mix": what is made above, and no food of its own
_OF_ITSELF = re.compile(
    r"(?:(?:an?|one|two|the|about)\s+)*(?:half|halves|thirds?|quarters?|rest|remainder|remaining|reserved|leftover)\s+(?:of\s+)?(?:the\s+|your\s+)?(?:\w+\s+){0,2}(?:mix|mixture|dough|batter|crumble|crumbs?|pastry|custard|filling|glaze|icing|frosting|base|topping|sauce|syrup)(?:\s+(?:from|of|above|mix|mixture)\b.*)?",
    re.I,
)
# "Mix, fill 18 cases, 20 min at 180"
_DONE_AT = re.compile(r"^[^\W\d_]+[, ].*\b\d{1,3}\s*min\w*\.?\s+at\s+\d{3}\b", re.I)
# "Brown the butter": no food of that colour
_TO_BROWN = re.compile(r"(?:Brown|Warm|Toast|Cool|Dry) (?:the|your)\b")
# "Swap the honey for 120g maple syrup": another dessert, and no food of this one
_VARIES = re.compile(
    r"(?:swap|replace|substitute|exchange)\b.{3,60}\b(?:for|with|by)\b|(?:you can|feel free to)\s+(?:also\s+)?(?:use|swap|add|replace)\b",
    re.I,
)


def _portions_first(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the line that a text begins with where it tells how many it makes, and the dessert's name stands below: "Makes 24" and "Ginger snaps"."""
    if len(found) <= LEAST_BELOW or begins_food(found[1].text) or re.search(r"\d", found[1].text):
        return {}
    first = found[0].raw.strip(" *#_=:")
    is_told = _TELLS_PORTIONS.match(first) is not None and bool(statements(first))
    return {found[0].line.number: "portions"} if is_told or bare_count(first) else {}


def _told_beside(found: Sequence[Statement]) -> dict[int, Role]:
    """Return the lines near the top that tell how many and the tin or the time, and no food: "16 Stück, Springform 26 cm"."""
    return {s.line.number: "portions" for s in found[1:MOST_HEAD_LINES] if _tells_portions_and_tin(s.text)}


def _tells_portions_and_tin(text: str) -> bool:
    cells = [cell.strip("()[]<>~* ") for cell in re.split(r"\s*[,;|/·•]\s+|\s[-–—]\s", text) if cell.strip()]
    counts = [cell for cell in cells if bare_count(cell) or (_TELLS_PORTIONS.match(cell) and statements(cell))]
    return len(cells) > 1 and bool(counts) and all(cell in counts or _TIN_OR_TIME.search(cell) for cell in cells)


_TIN_OR_TIME = re.compile(
    r"\d\s*(?:cm|inch|in\b|min|h\b|hr|hours?)|\d{3}\s*(?:°|[CF]\b)|\b(?:springform|tin|pan|oven|easy|kastenform)\b",
    re.I,
)
_TELLS_PORTIONS = re.compile(
    r"(?:serves|serving|makes|yields?|gives|feeds|enough|portions|servings)\b[^.]{1,40}\.?$", re.I
)
_ASKS_A_NAME = frozenset({"name", "title", "recipe name", "recipe title", "name of recipe", "name of dish", "dish"})
MOST_OF_A_FORM = 12
# What stands over the words of readers, whatever these weighed.
_READERS = re.compile(
    r"(?:(?:\d+|readers?[’']?|user|your|top|recent|latest)\s+)?(?:comments?|reviews?|replies|responses|what (?:readers|others|people) (?:say|said))(?:\s*\(\d+\))?\W*",
    re.I,
)
_LEADS_ON = re.compile(
    r"(?:you (?:may|might)(?: also)? (?:like|enjoy|love)|(?:related|more|similar|other|popular|latest) (?:recipes|posts|articles|from)\b|\d+ (?:responses|comments|replies|thoughts)\b|leave a (?:reply|comment)|(?:if|did|have) you(?:['’]ve)? (?:make|made|try|tried|bake|baked|cook|cooked) (?:this|it|these|them|one)\b|(?:related|read next|see also|tags?|filed under|categor(?:y|ies))\s*:|rated \d|(?:previous|next|older|newer) (?:post|recipe))",
    re.I,
)


def _table_heads(lines: Sequence[Physical]) -> dict[int, Role]:
    """Return the lines that name the columns of a table: above a row of rules, several cells and no number in them."""
    return {
        above.number: "junk"
        for above, rule in pairwise(lines)
        if len(rule.raw) <= LONGEST_RULE
        and _RULED.fullmatch(rule.raw.strip())
        and len([cell for cell in above.raw.split("|") if cell.strip()]) > 1
        and not re.search(r"\d", above.raw)
    }


# "|:---|---:|"
_RULED = re.compile(r"\|?(?:\s*:?-{2,}:?\s*\|)+\s*(?::?-{2,}:?)?")
LONGEST_RULE = 200


def greetings(found: Sequence[Statement]) -> list[int]:
    """Return which statements begin or end a letter, and name nothing: "Dear all,"."""
    ends = {*range(len(found))[: 2 * MOST_HEAD_LINES], *range(len(found))[-LAST_LINES:]}
    return [n for n in sorted(ends) if _GREETS.fullmatch(found[n].raw.strip())]


_GREETS = re.compile(
    r"(?:dear|hi|hello|hey|hallo|love|cheers|best|thanks|xx+|xo(?:xo)?|with love|best wishes|kind regards|yours|see (?:you|ya)|speak soon|[A-Z][a-z]{0,12}(?=\s+x+\W*$))\b[^.!?:;\d]{0,24}[,!.x]*(?:\s+x+)?",
    re.I,
)
MOST_HEAD_LINES, LEAST_LEADS, LAST_LINES = 3, 3, 2


def _bare_parts(found: Sequence[Statement], told: Mapping[str, Known]) -> dict[int, Role]:
    """Return the lines that name a part by a word that is a food too, below an empty line and over its foods: "Jam" and "4 tbsp raspberry jam"."""
    lines: dict[int, Role] = {}
    listed = [
        told[s.text]
        for s in found
        if told[s.text].has_food and not names_a_part(s.text) and s.text.lower() not in _ALSO_A_PART
    ]
    is_measured = sum(known.has_amount for known in listed) >= MEASURED * len(listed)
    for before, statement in pairwise(found):
        name = before.raw.strip().rstrip(":").lower()
        # In a list where all else is measured a bare "Jam" names a part also without an empty line above.
        is_apart = before.line.gap or (
            is_measured and before.raw.strip()[:1].isupper() and len(listed) > LEAST_MEASURED
        )
        is_above = is_apart and statement.line.number == before.line.number + 1 and not statement.line.gap
        if is_above and name in _ALSO_A_PART and told[statement.text].has_amount and told[statement.text].has_food:
            lines[before.line.number] = "heading"
    return lines


# A list of so many foods is measured where such a share have their amounts [1], [share] (judgement).
LEAST_MEASURED, MEASURED = 4, 0.85
_ALSO_A_PART = frozenset(
    {
        "toffee",
        "fudge",
        "marshmallow",
        "syrup",
        "jelly",
        "jam",
        "curd",
        "custard",
        "caramel",
        "cream",
        "pastry",
        "crumbs",
        "ganache",
        "compote",
        "coulis",
    }
)


def _broken_names(
    found: Sequence[Statement], told: Mapping[str, Known], known: Callable[[str], Known]
) -> dict[int, Role]:
    """Return the lines that go on with the name of the food above: "600 ml double" and "cream"."""
    lines: dict[int, Role] = {}
    several = Counter(s.line.number for s in found)
    for before, statement in pairwise(found):
        is_next = statement.line.number == before.line.number + 1
        if not is_next or several[statement.line.number] > 1:
            continue
        if not _AMOUNT_LAST.search(statement.raw) and (
            not re.fullmatch(
                r"(?!(?:for|to|or|and|plus)\b)[a-zà-ÿ][a-zà-ÿ' -]{2,24}(?:,\s*[a-zà-ÿ][a-zà-ÿ ]{2,24})?",
                statement.raw.strip(),
            )
        ):
            continue
        first, second = told[before.text], told[statement.text]
        if _says_more(before, statement, first, second):
            lines[statement.line.number] = "continuation"
            continue
        if _is_torn_name(before, statement, first, second) and known(f"{before.text} {statement.text}").food not in (
            "",
            second.food,
        ):
            lines[statement.line.number] = "continuation"
            continue
        if (
            not first.has_amount
            or second.has_amount
            or first.is_behind
            or re.search(r"[,()]", _SAID_AGAIN.sub("", before.text))
            or _AMOUNT_LAST.search(before.raw)
        ):
            continue
        if (second.food and _ENDS_WITH_USE.search(before.text)) or _SO_LITTLE_OF.match(statement.raw):
            continue  # "strip of orange peel", "oil for frying": a food of its own
        if second.food and len(parts := split_line(before.text)) > 1:
            # "1 lemon and 60 g icing" and "sugar"; "1 egg + 1 yolk" and "lemon zest": nothing is broken off.
            if known(parts[-1]).food != known(f"{parts[-1]} {statement.text}").food not in ("", second.food):
                lines[statement.line.number] = "continuation"
            continue
        both = known(f"{before.text} {statement.text}")
        if both.food and first.food in ("", both.food):
            lines[statement.line.number] = "continuation"
    return lines


def _says_more(before: Statement, statement: Statement, first: Known, second: Known) -> bool:
    """Return whether a few words in small letters, and no food, say more of the food above: "500 g cherries, stones" and "left in"."""
    text = statement.raw.strip()
    return (
        first.has_amount
        and first.has_food
        and not statement.line.gap
        and not (second.food or second.has_amount)
        and len(text.split()) <= MOST_TORN
        and "," in before.raw
        and not (names_a_part(text) or first_word(text) in word_list("verb"))
    )


# "2 tbsp yoghurt + extra to serve": nothing follows.
_ENDS_WITH_USE = re.compile(
    r"\b(?:to|for)\s+(?:serv\w+|finish\w*|decorat\w+|dust\w*|garnish\w*|sprinkl\w+|top\w*)$", re.I
)


def _is_torn_name(before: Statement, statement: Statement, first: Known, second: Known) -> bool:
    """Return whether a food's name begins on the line above the one that ends with its amount: "dark choc" and "chips . 100g"."""
    is_list = second.has_amount and second.is_behind and not first.has_amount
    return (
        is_list
        and len(before.text.split()) <= MOST_TORN
        and before.raw.strip()[:1].islower()
        and not re.search(r"[,.:;!?]\s*$", before.raw)
    )


# "180 g (1½ cups) self-raising": the amount again
_SAID_AGAIN = re.compile(r"\(\s*[\d½¼¾⅓⅔⅛][^()]{0,16}\)")
_SO_LITTLE_OF = re.compile(
    r"\W*(?:strip|pinch|handful|knob|sprig|squeeze|dash|drizzle|grating|few|little)\s+(?:of\s+)?\w|.*\b(?:for|to)\s+(?:the\s+tin|fry|deep|greas|dust|serv|decor|brush|sprinkl|finish|roll|coat|top)|\W*(?:salt|pepper)\b",
    re.I,
)
MOST_TORN = 3
_AMOUNT_LAST = re.compile(r"\d\s*(?:g|kg|ml|l|oz|tsp|tbsp)?\s*$")
