"""Where the words of a step speak of ingredient lines, and of how much of them."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache
from typing import Literal

from sun_crumb.core.method.names import LONGEST, Names, Phrase
from sun_crumb.core.method.sentences import verb_of
from sun_crumb.core.pantry.names import fold, singular, words_of
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.quantities.numbers import FRACTIONS
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.records import Amount
from sun_crumb.core.reading.several import statement_of
from sun_crumb.core.reading.weigh import one_amount
from sun_crumb.core.reference import table

Part = Literal["whole", "share", "rest", "little", "most", "amount", "back", "tin"]
Group = Literal["dry", "wet", "all", "others", "both"]

# How far before a food its words may begin [characters]; more mentions than these are no step's.
NEAR, MOST_SAID = 90, 80
_WORD = re.compile(r"[^\W\d_][^\W\d_'’]*")
# "the butter mixture", "hot milk mixture": what is in already.
_MIXTURE = re.compile(
    r"^[\s-]*(?:mixture|mix\b|batter|paste mixture|layer|foam|mass|cakes?\b|crumble\b|pie\b(?!\s+(?:crust|filling|case|dish))|muffins?\b)",
    re.I,
)
# A tin is buttered, a surface floured, with no line of the list.
_FOR_THE_TIN = re.compile(
    r"^\s*(?:(?:and\s+|then\s+|and\s+then\s+)(?:line|flour|base-line)|(?:(?:an?|the|your|two|2|each|\d+)\s+(?:[\w.-]+\s+){0,5}?)?(?:tins?|pans?|dish(?:es)?|trays?|moulds?|molds?|basin|sheets?|ramekins?|surface|worktop|board|sides|paper|cases|rings?))\b",
    re.I,
)
_GREASED_WITH = re.compile(
    r"\b(?:butter|grease|oil)\w*\b[^.;]{0,60}\b(?:tins?|pans?|dish(?:es)?|trays?|moulds?|ramekins?)\b[^.;]{0,16}\b(?:dust|sprinkle|coat|flour)\w*\s+(?:it\s+|them\s+|the inside\s+)?(?:lightly\s+)?with\s+(?:a\s+little\s+|some\s+|the\s+)?$|"
    r"\b(?:greas\w+|brush|rub|oil|line|dust)\b[^.;]{0,60}?\b(?:tins?|pans?|dish(?:es)?|trays?|moulds?|paper|surface)\b[^.;]{0,30}?\bwith\s+(?:a\s+little\s+|some\s+|the\s+)?$",
    re.I,
)
_ICING = frozenset({"icing", "powdered", "confectioner", "confectioners"})
_KINDS_OF_SUGAR = frozenset({"demerara", "muscovado", "pearl", "palm", "coconut", "vanilla", "maple", "turbinado"})
_BAKING_THINGS = frozenset(
    {"paper", "parchment", "sheet", "tray", "tin", "dish", "pan", "bean", "mat", "stone", "time"}
)
_GREASES = frozenset(
    [
        "butter",
        "oil",
        "margarine",
        "lard",
        "shortening",
        "ghee",
        "flour",
        "sugar",
        "cocoa",
        "crumb",
        "breadcrumb",
        "semolina",
    ]
)
_FRACTION = re.compile(
    rf"(?:\b(?P<word>half|(?:an?|one|1)\s+(?:third|quarter)|(?:third|quarter)(?=\s+of\b)|two[\s-]thirds|three[\s-]quarters|(?P<num>\d)\s*/\s*(?P<den>\d))|(?P<glyph>[{''.join(FRACTIONS)}]))\s+(?:of\s+)?(?:the\s+|your\s+)?(?:[\w-]+\s+){{0,2}}?$",
    re.I,
)
_REST = re.compile(
    r"\b(?:remaining|rest of(?: the)?|remainder of(?: the)?|other half(?: of(?: the)?)?|leftover|last of the|reserved|final)\s+(?:[\w-]+\s+){0,2}?$",
    re.I,
)
_MOST = re.compile(r"\b(?:most|nearly all|almost all)\s+(?:of\s+)?(?:the\s+)?(?:[\w-]+\s+){0,2}?$", re.I)
_LITTLE = re.compile(
    r"\b(?:(?:a\s+)?(?:little|bit|spoonful|splash|few|handful|spoon|drop|teaspoon|tablespoon|ladle\w*)|some)\s+(?:(?:more\s+)?of\s+)?(?:the\s+)?(?:[\w-]+\s+){0,2}?$",
    re.I,
)
# "mix with a teaspoon of baking powder"
_A_SPOON_OF = re.compile(
    r"\b(?P<amount>(?:half\s+an?|an?|one|two|three|four|five|six|the(?:\s+extra)?)\s+(?:teaspoons?|tablespoons?|tsps?|tbsps?|cups?))(?:fuls?)?\s+(?:of\s+)?(?:[\w-]+\s+){0,2}?$",
    re.I,
)
_BOTH = re.compile(r"\b(?:both|all(?: the| three)?|the two|two|three)\s+(?:kinds of |types of )?$", re.I)
_AMOUNT = re.compile(
    rf"(?P<amount>(?:\d|[{''.join(FRACTIONS)}])[^,;.()]{{0,18}}?)\s*(?:of\s+)?(?:the\s+|your\s+)?(?:[\w-]+\s+){{0,2}}?$",
    re.I,
)
_SHARES = {"half": 0.5, "third": 1 / 3, "quarter": 0.25, "two thirds": 2 / 3, "three quarters": 0.75}

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
class Said:
    """One mention as it stands: the phrase, the lines it may mean and how closely, the part that it takes.

    Where it ``is_all_but`` its amount, that is what is kept back.
    """

    start: int
    end: int
    phrase: Phrase
    lines: dict[int, int]
    part: Part
    share: float = 1.0
    amount: Amount | None = None
    is_many: bool = False
    lead: int = -1
    is_all_but: bool = False

    def closest(self, names: Names) -> list[int]:
        """Return the lines that the phrase means most closely: "the coconut" is desiccated coconut before it is coconut oil."""
        best = max(self.lines.values(), default=0)
        close = [n for n, how in self.lines.items() if how == best]
        ending = [n for n in close if tuple(words_of(names.lines[n].name))[-len(self.phrase) :] == self.phrase]
        return ending or close


@dataclass(frozen=True, slots=True)
class SaidGroup:
    """A word for several lines at once ("the dry ingredients"), what it leaves out, and the part of the recipe that it names."""

    start: int
    end: int
    kind: Group
    part: str
    but: tuple[int, ...]


def said_lines(text: str, names: Names) -> list[Said]:
    """Return every mention of a line in one step's *text*, in order; what greases a tin takes the part "tin".

    The longest phrase wins; "cream the butter" is something to do, and no cream.
    """
    words = [(m.start(), m.end(), _whole_word(m[0])) for m in _WORD.finditer(text)]
    found: list[Said] = []
    at = 0
    while at < len(words) and len(found) < MOST_SAID:
        said = _said_at(text, words, at, names)
        if said is None:
            at += 1
            continue
        one, size = said
        if one is not None:
            found.append(one)
        at += size
    return found


def _whole_word(word: str) -> str:
    """Return a word as names have it: folded, for one, and in full where a hand in a hurry shortens it ("flr")."""
    folded = fold(word)
    return singular(_in_full().get(folded, folded))


@cache
def _in_full() -> dict[str, str]:
    rows = [(row["short"], row["words"]) for row in table("short_words")]
    return {short: words for short, words in rows if " " not in short and " " not in words}


# "Over barely simmering water": it warms the bowl, and goes into nothing.
_BATH = re.compile(
    r"\bover\s+(?:an?\s+(?:sauce)?pan\s+of\s+)?(?:(?:barely|gently|just|hot|simmering|boiling|steaming)\s+)+$", re.I
)
_SIDE_UP = re.compile(r"[\s-]+sides?[\s-]+(?:up|down|uppermost|outwards?|out|in)\b", re.I)
_DUSTED_WITH = re.compile(
    r"\b(?:paper|parchment|cloth|towel|surface|board|worktop|work surface)\s+(?:\w+\s+)?(?:dusted|sprinkled|dredged|scattered)\s+with\s+(?:\w+\s+){0,2}$",
    re.I,
)
# "b.p."
_INITIALS = re.compile(r"\w\.\s?\w")
# Words for all foods of a kind.
OF_A_KIND = frozenset({("fruit",)})
# The beans that weigh down a pastry case.
_BLIND = re.compile(
    r"\bblind\b|\b(?:baking|ceramic|with(?:out)?|out|remove the|rice (?:and|or)) beans\b|\bbeans (?:and paper|out)\b",
    re.I,
)


def _no_food(text: str, words: list[tuple[int, int, str]], at: int, names: Names) -> int:
    """Return how many words at *at* sound like a food and are none: baking paper, icing sugar that the list has none of, a water bath."""
    word, after = words[at][2], words[at + 1][2] if at + 1 < len(words) else ""
    if word == "baking" and after in _BAKING_THINGS:
        return 2  # baking paper is no baking powder
    if word in _ICING and after == "sugar" and not names.meant((word, "sugar")) and not names.meant(("icing", "sugar")):
        return 2  # icing sugar that the list has none of is no other sugar
    if word in _KINDS_OF_SUGAR and after == "sugar" and not names.meant((word, "sugar")) and not names.meant((word,)):
        return 2  # "1 tbsp demerara sugar", that the list has none of
    if word == "bean" and _BLIND.search(text):
        return 1
    if _SIDE_UP.match(text, words[at][1]) or _DUSTED_WITH.search(text[: words[at][0]]):
        return 1  # "leave to set chocolate side up"; "paper dusted with icing sugar": none of the list's
    return 1 if word == "water" and _BATH.search(text[: words[at][0]]) else 0


def _said_at(text: str, words: list[tuple[int, int, str]], at: int, names: Names) -> tuple[Said | None, int] | None:
    if skipped := _no_food(text, words, at, names):
        return None, skipped
    for size in range(min(LONGEST, len(words) - at), 0, -1):
        start, end = words[at][0], words[at + size - 1][1]
        if (
            size > 1
            and re.search(r"[^\s'’-]", re.sub(r"\w", "", text[start:end]))
            and not _INITIALS.fullmatch(text[start:end])
        ):
            continue
        phrase = tuple(w for _, _, w in words[at : at + size])
        lines = names.meant(phrase)
        if not lines:
            continue
        if phrase == ("spice",) and text[start:end].lower().endswith("s") and len(lines) > 1:
            lines = dict.fromkeys(
                lines, max(lines.values())
            )  # "the spices": all of them, and not the mixed spice alone
        if phrase in OF_A_KIND:
            # "the fruit" is the strawberries as much as the passion fruit.
            lines = dict.fromkeys(lines, max(lines.values()))
        if (
            size == 1
            and (part := _PART_OF.search(text[:start]))
            and (parts := names.meant((phrase[0], part[1].lower())))
        ):
            lines = parts  # "the juice of the lemon" is no zest
        if size == 1 and _is_verb(text, start, end, phrase[0]):
            is_spread = _FOR_THE_TIN.match(text[end:]) or (phrase[0] == "butter" and _BUTTERED.match(text[end:]))
            return (Said(start, end, phrase, lines, "tin"), 1) if is_spread else (None, 1)
        if phrase[-1] in _GREASES and _is_for_the_tin(text, start, end):
            return Said(start, end, phrase, lines, "tin"), size
        return _said(text, start, end, phrase, lines), size
    return None


# "Butter the bread": with the butter of the list.
_BUTTERED = re.compile(
    r"\s+(?:the|each|your|both|one|all)\s+(?:\w+\s+){0,2}?(?:bread|slices?|toast|brioche|croissants?|buns?|sides?|scones?|panettone|baguette|crumpets?|rounds?)\b",
    re.I,
)
_PART_OF = re.compile(
    r"\b(zest|juice|rind)\s+(?:of|from)\s+(?:(?:the|an?|one|two|both|half|other|[\d½¼¾]+)\s+){0,3}$", re.I
)
# The last of what is heated or stirred: "heat the chocolate and", "simmer sugar, butter and".
_LISTED_LAST = re.compile(
    r"\b(?:heat|warm|melt|simmer|boil|scald|whip|whisk|bring|combine|mix|stir|blend|put|place|pour|bubble|add)\b[^.;]*\w\s+(?:and|&|\+)\s+(?:the\s+)?$",
    re.I,
)
_CREAMED = re.compile(
    r"\s+(?:together\s+)?(?:the\s+|your\s+|both\s+)?(?:(?!and\b|with\b|in\b|or\b|over\b|to\b)\w+\s+)?(?:butter|margarine|shortening|sugars?|fats?)\b",
    re.I,
)


_PREPARES_TOO = re.compile(
    r"\s*(?:,|and\b|&|,\s*and\b)\s*(?:quarter|core|halve|slice|chop|dice|stone|grate|segment|cut|deseed|peel|squeeze|mash)\b",
    re.I,
)


def _is_verb(text: str, start: int, end: int, word: str) -> bool:
    """Return whether a word that names a food is something to do here: "cream the butter", "flour a board"."""
    if not verb_of(text[start:end]) and word not in ("flour", "oil", "sugar"):
        return False
    if word == "spread" and not text[:start].strip():
        return True  # "Spread topping": no fat called spread
    if word == "cream" and _LISTED_LAST.search(text[:start]) and not _CREAMED.match(text[end:]):
        return False  # "heat the chocolate and cream gently"
    if word == "cream" and _CREAMED.match(text[end:]):
        return True  # "In a large bowl cream the butter and sugar"
    before = text[max(0, start - NEAR) : start].rstrip()
    begins = (
        not before
        or before[-1] in ".,;:("
        or bool(re.search(r"\b(?:and|then|to|or|meanwhile|now|next|gently|well|first|finally|lightly)$", before, re.I))
    )
    after = text[end:]
    if not begins:
        return False
    if word in ("peel", "core", "zest", "juice") and _PREPARES_TOO.match(after):
        return True  # "Peel, quarter and core the quinces"
    if word in ("cream", "zest", "juice", "dust", "core", "top", "slice"):
        if word in ("zest", "juice") and re.match(r"\s+together\b", after):
            return False  # "whisk the eggs, zest and juice together"
        return bool(re.match(r"\s+(?:the|your|together|both|\w+)", after)) and not re.match(
            r"\s*(?:,|and\b|with\b|in\b|until\b|to\b|just\b|almost\b|nearly\b|over\b|for\s+(?:about\s+)?\d)", after
        )
    return bool(_FOR_THE_TIN.match(after)) or bool(re.match(r"\s+(?:the|your|an?)\b", after))


def _is_for_the_tin(text: str, start: int, end: int) -> bool:
    return bool(_GREASED_WITH.search(text[max(0, start - 2 * NEAR) : start])) or bool(
        re.search(
            r"\b(?:well|lightly)?-?(?:greased|buttered|floured|oiled|lined)\s+(?:and\s+\w+\s+)?$",
            text[max(0, start - NEAR) : start],
            re.I,
        )
        and re.match(r"\s*(?:tin|pan|dish)", text[end:], re.I)
    )


def _said(text: str, start: int, end: int, phrase: Phrase, lines: dict[int, int]) -> Said:
    before = re.split(r"[,;.(]|\b(?:and|with|into|over|then|add|in)\b", text[max(0, start - NEAR) : start])[-1]
    at = start - len(before)
    is_many = fold(text[start:end]).endswith("s") and not phrase[-1].endswith("s")

    def said(
        part: Part,
        found: re.Match[str] | None = None,
        share: float = 1.0,
        amount: Amount | None = None,
        *,
        many: bool = is_many,
        lead: int | None = None,
    ) -> Said:
        return Said(
            start=start,
            end=end,
            phrase=phrase,
            lines=lines,
            part=part,
            share=share,
            amount=amount,
            is_many=many,
            lead=lead if lead is not None else at + found.start() if found else start,
            is_all_but=part == "amount" and bool(found and _ALL_BUT.search(before[: found.start()])),
        )

    if _MIXTURE.match(text[end:]) or (phrase in OF_A_KIND and _COOKED_BEFORE.search(before)):
        return said("back")
    if (rest := _REST.search(before)) or _THAT_WAS_KEPT.match(text[end:]):
        return said("rest", rest)
    kept = _KEEPING_BACK.search(text[:start])
    # "Fruit (keep back a handful of raspberries)": all but so much of them goes in.
    if share := 1 - (_fraction(kept["much"]) or KEPT_BACK) if kept else 0.0:
        return said("share", kept, share, lead=kept.start("much") if kept else None)
    amount = _amount(before)
    if measured := _measured(before, amount):
        return said("amount", measured[1], amount=measured[0])
    if share := _fraction(before):
        return said("share", _FRACTION.search(before), share)
    if found := _MOST.search(before):
        return said("most", found, 0.8)
    if amount is not None:
        return said("amount", _AMOUNT.search(before), amount=amount)
    if found := _LITTLE.search(before):
        return said("little", found, 0.1)
    both = _BOTH.search(before)
    return said("whole", both, many=is_many or bool(both))


# "the roasted fruit", that was cooked before
_COOKED_BEFORE = re.compile(r"\b(?:roasted|stewed|poached|baked|cooked|macerated|grilled|caramelised)\s+$", re.I)
# "all but 2 tbsp of the chips"
_ALL_BUT = re.compile(r"\ball\s+but\s*(?:about\s+)?$", re.I)
# "the raspberries you kept"
_THAT_WAS_KEPT = re.compile(
    r"\s+(?:(?:that\s+)?(?:you|we|i)(?:['’]ve)?\s+)?(?:kept|saved|reserved|held|set aside)\b(?:\s+(?:back|aside))?",
    re.I,
)
_KEEPING_BACK = re.compile(
    r"[(,–-]\s*(?:but\s+)?(?:keep|keeping|hold|holding|save|saving|reserve|reserving)\s+(?:back\s+|aside\s+)?(?P<much>(?:an?\s+)?(?:few|handful|little|half|quarter|third|spoonful|some)\s+(?:of\s+)?(?:the\s+)?)$",
    re.I,
)
# What a handful or a few are of a line [share] (judgement).
KEPT_BACK = 0.1


def _fraction(before: str) -> float:
    found = _FRACTION.search(before)
    if not found or re.search(r"\b(?:other|second)\s+half", before, re.I):
        return 0.0
    if found["glyph"]:
        return FRACTIONS[found["glyph"]]
    if found["num"]:
        return int(found["num"]) / max(int(found["den"]), 1) if int(found["num"]) < int(found["den"]) else 0.0
    word = re.sub(r"[\s-]+", " ", re.sub(r"^(?:a|one|1)\s*", "", found["word"].lower())).strip()
    return _SHARES.get(word, 0.0)


def _measured(before: str, amount: Amount | None) -> tuple[Amount, re.Match[str]] | None:
    """Return an amount with its unit and where it is said: "100 g", "a teaspoon of"; None where none is."""
    found = _AMOUNT.search(before)
    if found and amount is not None and amount.unit is not None:
        return amount, found
    spoken = _A_SPOON_OF.search(before)
    read = read_amount(re.sub(r"^the\s+(?:extra\s+)?", "a ", spoken["amount"], flags=re.I)) if spoken else None
    return (read[0], spoken) if spoken and read else None


def _amount(before: str) -> Amount | None:
    found = _AMOUNT.search(before)
    # The unit may stand where the pattern takes a word for the food's: "2 tbsp sugar".
    read = (read_amount(before[found.start("amount") :]) or read_amount(found["amount"])) if found else None
    if found and read and read[0].unit is not None:
        return read[0]
    if not found or read is None or (read[0].unit is None and found["amount"][read[1] :].strip()):
        return None
    return read[0]


def share_of(said: Said, names: Names, position: int) -> float | None:
    """Return the share of a line that an amount said of it is, or None where its weight or the amount's is not known."""
    share = _times(said, names, position)
    if said.is_all_but and share is not None:
        return max(1.0 - share, 0.0)
    return 1.0 if share is not None and share > 0.88 else share


def is_all_of(said: Said, names: Names, position: int) -> bool:
    """Return whether an amount said is just the line's: of two sugars the "2 tbsp sugar" is the one of 2 tbsp."""
    share = _times(said, names, position)
    return share is not None and 0.88 < share < 1 / 0.88


def _times(said: Said, names: Names, position: int) -> float | None:
    line = names.lines[position]
    if said.amount is None or line.ingredient is None or not line.grams:
        return None
    own = parse_line(statement_of([one.text for one in names.lines], position)).sums if line.text else ()
    if len(own) == 1 and own[0].unit == said.amount.unit and own[0].unit is not None and own[0].middle > 0:
        # "¾ cup" of a cup is three quarters, whatever a cup of it weighs.
        return said.amount.middle / own[0].middle
    grams = one_amount(said.amount, line.ingredient, cup_standard("us"))
    return None if grams is None else grams / line.grams


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
