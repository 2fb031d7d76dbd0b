"""The foods of a text's pieces with what each may be: one draft for each statement, before anything is weighed."""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from itertools import chain

from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.pantry.names import words_of
from sun_crumb.core.quantities.measures import cup_standard, units
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.citrus_abroad import in_english
from sun_crumb.core.reading.fruit_parts import parts_by_the_method
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.match import NameIndex, is_sure, name_index
from sun_crumb.core.reading.own_measure import OwnMeasure
from sun_crumb.core.reading.pieces import Piece
from sun_crumb.core.reading.records import Candidate, ParsedLine
from sun_crumb.core.reading.same_again import SAME_AGAIN, is_measured
from sun_crumb.core.reading.several import split_line
from sun_crumb.core.reading.weigh import weigh
from sun_crumb.core.reading.words import word_list

LONGEST_LINE = 600


@dataclass(slots=True)
class Draft:
    """A statement taken apart, what its food may be, the likeliest first, and what stands in the way of it."""

    piece: Piece
    parsed: ParsedLine | None
    candidates: list[Candidate]
    ingredient: Ingredient | None
    problem: str = ""
    is_mention: bool = False


def drafts_of_all(pieces: Iterable[Piece], pantry: Pantry, pot: OwnMeasure | None) -> list[Draft]:
    """Return the drafts of pieces in their order; "zest of 2" is of the fruit that was last named.

    Parameters
    ----------
    pieces
        The pieces of a text, with their roles.
    pantry
        Where names are looked up.
    pot
        What the recipe measures by, where it measures by a pot of its own.
    """
    found: list[Draft] = []
    fruit, eggs, before = "", "", ""
    pieces = list(pieces)
    method = "\n".join(piece.text for piece in pieces if piece.role == "step")
    caramel = _boiled_apart(pieces, method)
    for piece in pieces:
        piece = replace(piece, component="caramel") if any(piece is one for one in caramel) else piece
        text = _OF_SO_MANY.sub(rf"\g<part> {fruit}s" if fruit else r"\g<0>", piece.text)
        text = parts_by_the_method(in_english(text), method)
        foods = _as_heavy_as(eggs, text) or split_line(_as_much_as(before, text)) if piece.role == "food" else ()
        found += drafts_of(piece, pantry, pot, foods)
        if piece.role == "food":
            before = foods[-1]
            fruit = named[-1].lower() if (named := _CITRUS.findall(piece.text)) else fruit
            eggs = piece.text if _EGGS.search(piece.text) else eggs
    return found


def _as_heavy_as(eggs: str, text: str) -> tuple[str, ...]:
    """Return the statements of a line that weighs several foods by the eggs of the line before ("same weight butter, sugar, flour"); none where it does not."""
    if together := _EGGS_AND_THEIR_WEIGHT.fullmatch(text):
        rest = _SO_MUCH_EACH.sub(r" (\1 g each)", together["rest"])
        return (told_eggs := together["eggs"], *_as_heavy_as(told_eggs, rest)) if _SAME_WEIGHT.fullmatch(rest) else ()
    told = _SAME_WEIGHT.fullmatch(text)
    count = re.match(r"\W*(\d{1,2})\b", eggs) or re.search(r"[:=]\s*(\d{1,2})\b(?!\s*g)", eggs)
    if told is None or count is None:
        return ()
    weighed = re.search(r"\b(\d{2,4})\s*g\b", told["each"] or eggs)
    grams = int(weighed[1]) if weighed else int(count[1]) * EGG_IN_SHELL_G
    return tuple(
        f"{grams} g {food.strip()}"
        for food in re.split(r",\s*(?:and\s+)?|\s+and\s+|\s*&\s*", told["foods"])
        if food.strip()
    )


# "3 eggs (weigh them) and the same weight of sugar and flour (mine came to 180 g, so 180 g each)"
_EGGS_AND_THEIR_WEIGHT = re.compile(
    r"(?P<eggs>\d{1,2}\s+(?:large\s+|medium\s+|small\s+)?eggs)(?:\s*\([^()\d]*\))?,?\s+(?:and|plus|\+|&)\s+(?P<rest>(?:the\s+)?(?:same|equal|their)\b.{8,160})",
    re.I,
)
_SO_MUCH_EACH = re.compile(r"\s*\([^()]*?\b(\d{2,3})\s*g\s+(?:of\s+)?each\W*\)", re.I)
# What an egg weighs with its shell [g] (common practice).
EGG_IN_SHELL_G = 58
_EGGS = re.compile(r"\beggs\b", re.I)
_SAME_WEIGHT = re.compile(
    r"\W*(?:the\s+)?(?:(?:same|equal)\s+weights?\s+(?:each\s+)?(?:of\s+|in\s+)?|(?:their|the eggs['’]?|its)\s+(?:own\s+)?weight\s+(?:each\s+)?(?:of|in)\s+(?:each\s+)?)(?:each\s+of\s+)?(?P<foods>[^\d()]{4,80}?)(?P<each>\s*[(–—-]+\s*\d{2,4}\s*g\s+(?:of\s+)?each\b\W*)?",
    re.I,
)


def _as_much_as(before: str, text: str) -> str:
    """Return a line with the amount of the food before it where it has the same: "the same of sugar", "ditto sugar"."""
    told = SAME_AGAIN.match(text)
    amount = parse_line(before).sums[:1] if told else ()
    return f"{amount[0].text} {text[told.end() :]}" if told and amount and is_measured(amount[0]) else text


_CITRUS = re.compile(r"\b(lemon|lime|orange|grapefruit)s?\b", re.I)
_OF_SO_MANY = re.compile(
    r"^(?P<part>(?:(?:finely|grated|the)\s+)*(?:zest|juice|rind)\s+of\s+(?:\d|½|half|one|two|three))(?:\s+(?:of\s+them|more))?$",
    re.I,
)


def drafts_of(piece: Piece, pantry: Pantry, pot: OwnMeasure | None, foods: Sequence[str]) -> list[Draft]:
    """Return a draft for each statement of a piece: one without a food for what is no food.

    Parameters
    ----------
    piece
        A piece of the text, with its role.
    pantry
        Where names are looked up.
    pot
        What the recipe measures by, where it measures by a pot of its own.
    foods
        What its line says, a food each.
    """
    if piece.role != "food":
        return [Draft(piece, None, [], None)]
    if len(piece.text) > LONGEST_LINE:
        return [Draft(piece, None, [], None, "too long for an ingredient line")]
    index = name_index(pantry)
    drafts = []
    piece = _in_its_part(piece)
    for statement in chain.from_iterable(_each_apart(told, index) for told in foods):
        parsed = parse_line(pot.in_ml(statement) if pot else statement)
        if parsed.alternatives and (whole := index.shared_head(parsed.name, parsed.alternatives[0])):
            parsed = replace(parsed, name=whole)
        is_more = bool(parsed.preparation) and not parsed.preparation.startswith("for ")
        is_adjective = set(words_of(parsed.name)) <= word_list("neutral") and not index.is_name(parsed.name)
        if is_more and parsed.name and is_adjective:
            # "blanched, finely ground almond flour": the comma stands among adjectives.
            parsed = replace(parsed, name=f"{parsed.name} {parsed.preparation}")
        spoken = parsed.sums[0].text.lower().split() if parsed.sums else []
        is_tinned = bool({"can", "cans", "tin", "tins"} & set(spoken))
        holder = " tinned" if (is_tinned or _is_a_tinful(parsed)) and index.is_ambiguous(parsed.name) else ""
        parsed = _in_a_known_tongue(parsed, index)
        candidates = index.match(parsed.name, parsed.preparation + holder)
        candidates = _told_apart(parsed, candidates, index.doubtful_by_count(parsed.name), pantry)
        if is_tinned and candidates and pantry[candidates[0].ingredient].measure("can") is None:
            # "1 tin pears in juice": the tinned food, where the fresh one comes in no tin.
            tinned = index.match(f"tinned {parsed.name}", parsed.preparation)
            candidates = tinned if is_sure(tinned) else candidates
        is_nameless = set(words_of(parsed.name)) <= word_list("neutral")
        if parsed.sums and parsed.sums[0].unit and is_nameless and not is_sure(candidates):
            # "a stick" of nothing: the unit word may be the food's own name ("2 cloves", "5 cloves, ground").
            candidates = index.match(parsed.sums[0].text)
        if candidates and parsed.sums and not is_sure(candidates):
            # Of two that the name may mean, an inch or a leaf may fit only one.
            candidates.sort(key=lambda c: weigh(parsed, pantry[c.ingredient], cup_standard("us")) is None)
        is_any = re.search(r"\bsweetener\b|\bsugar substitute\b", parsed.name, re.I) is not None
        if (is_any or not is_sure(candidates)) and (
            named := _named_aside(parsed, index) or _weighed_aside(parsed, index)
        ):
            candidates = named
        ingredient = pantry[candidates[0].ingredient] if candidates else None
        drafts.append(Draft(piece, parsed, candidates, ingredient))
    return drafts


def _each_apart(statement: str, index: NameIndex) -> list[str]:
    """Return a statement and what stands behind it, each part of a fruit by itself: "half a pint of water, juice & rind of 2 lemons"."""
    first, *behind = _with_what_is_behind(statement, index)
    return [first, *chain.from_iterable(split_line(part.strip()) for part in behind)]


def _with_what_is_behind(statement: str, index: NameIndex) -> list[str]:
    """Return a statement, and behind it each other food that it names after a comma: "1 cinnamon stick, 2 cloves"."""
    commas = list(_COMMA.finditer(statement))
    first = statement[: commas[0].start()] if commas else statement
    own = index.match(parse_line(first).name) if commas and read_amount(first) else []
    told = [statement]
    for comma, after in zip(commas, [*commas[1:], None], strict=True) if own else ():
        part = statement[comma.end() : after.start() if after else None]
        is_amount = len(told) > 1 and not parse_line(part).name
        if not is_amount and _is_another(part, first, own[0].ingredient, index):
            told = [statement[: comma.start()], part] if len(told) == 1 else [*told, part]
        elif len(told) > 1:
            told[-1] += f", {part}"  # "toasted coconut flakes, handful"
    return told


def _is_a_tinful(parsed: ParsedLine) -> bool:
    """Return whether a line takes of coconut milk as much as a tin holds: nobody measures 400 ml of the drink."""
    first = parsed.sums[0] if parsed.sums else None
    return first is not None and first.unit == "ml" and first.low in TINS_ML and "coconut milk" in parsed.name.lower()


# What tins of coconut milk hold [ml] (common practice).
TINS_ML = frozenset({160.0, 165.0, 270.0, 400.0, 800.0})
_COMMA = re.compile(r"\s*[,;]\s+(?![^()]*\))")


def _is_another(part: str, first: str, own: str, index: NameIndex) -> bool:
    """Return whether *part* is the whole name of a food, and no more of what stands before its comma: "flour, self-raising"."""
    if _SAYS_WHAT_FOR.match(part):
        return False
    parsed = parse_line(part)
    is_spice = bool(parsed.sums and not parsed.name and parsed.sums[0].unit == "clove")
    name = "cloves" if is_spice else parsed.name
    found = index.match(name)
    if not found or not index.is_name(name) or found[0].confidence < SURE_ASIDE or found[0].ingredient == own:
        return False
    if own.startswith("mixed_") or found[0].ingredient.startswith("mixed_"):
        return False  # "300 g berries, blueberries", "1 vanilla pod, seeds": which ones they are
    if name == "vanilla" and own.endswith("sugar"):
        return True  # "30 g sugar, vanilla": both
    return not index.is_name(f"{name} {parse_line(first).name}")


_SAYS_WHAT_FOR = re.compile(
    r"(?:with|for|in|from|about|without|or|to|of|as|on|at|if|not|no|into|plus|and|each|then|cut|the)\b", re.I
)


def with_units(drafts: list[Draft], texts: Iterable[str] = ()) -> list[Draft]:
    """Return drafts whose amounts without a unit have the one that is meant, where the lines beside them tell it.

    "150 caster sugar" in a list of grams is grams; "four ounces of butter, four of sugar" goes on in ounces; one of the *texts* beside them may
    say it for all: "weights in g".
    """
    is_said = any(_ALL_IN_GRAMS.search(text) for text in texts)
    firsts = [d.parsed.sums[0] for d in drafts if d.parsed and d.parsed.sums and d.ingredient]
    grams = sum(amount.unit == "g" for amount in firsts)
    if not grams and all(amount.unit in _BESIDE_BARE_GRAMS for amount in firsts):
        # "butter 175, caster sugar 175, flour 175": nobody counts so many of them.
        grams = sum(amount.unit is None and amount.low >= LEAST_TOLD_BARE_GRAMS for amount in firsts)
    many = [amount.low for amount in firsts if amount.unit is None]
    # "Flour 500", "Milk 200", "Egg yolk 40": a sheet of bare numbers weighs all of them.
    is_sheet = len(many) == len(firsts) >= LEAST_OF_A_SHEET and 2 * sum(n >= LEAST_TOLD_BARE_GRAMS for n in many) > len(
        many
    )
    is_said = is_said or is_sheet
    found: list[Draft] = []
    last: str | None = None
    for draft in drafts:
        first = draft.parsed.sums[0] if draft.parsed and draft.parsed.sums else None
        if draft.parsed and draft.ingredient and first and first.unit is None and not first.size:
            is_elliptic = first.text.lower().endswith(" of") and last is not None
            is_grams = is_said or (grams >= LEAST_IN_GRAMS and first.low >= LEAST_BARE_GRAMS)
            # "75 walnuts" among grams, "40 egg yolk" on a sheet of them
            is_many = is_grams and first.low >= (MOST_EGGS if is_sheet else MOST_COUNTED)
            is_counted = draft.ingredient.measure("each") is not None and not is_many
            is_counted = is_counted and not (is_said and draft.ingredient.has_role("flavour"))
            if (is_elliptic or is_grams) and not is_counted:
                told = replace(first, unit=last if is_elliptic else "g")
                draft = replace(draft, parsed=replace(draft.parsed, sums=(told, *draft.parsed.sums[1:])))
        elif first and first.unit:
            last = first.unit if units()[first.unit].kind == "mass" else None
        found.append(draft)
    return found


# Units that stand beside weights told by bare numbers: "flour 250", "milk half litre", "sugar 2 spoons".
_BESIDE_BARE_GRAMS = frozenset(
    [None, "tsp", "tbsp", "spoon", "pinch", "dash", "ml", "dl", "l", "packet", "knob", "clove"]
)
_ALL_IN_GRAMS = re.compile(
    r"\b(?:all|weights?|amounts?|quantities|everything)\s+(?:is\s+|are\s+|given\s+)?(?:in\s+)?(?:g|grams?|grammes)\b",
    re.I,
)
# Nobody counts so many of a food where all else is weighed [1] (judgement).
MOST_COUNTED = 50
# A sheet of bare numbers has so many foods, and nobody breaks more eggs for it [1] (judgement).
LEAST_OF_A_SHEET, MOST_EGGS = 6, 16
# In so many lines of grams a bare number of so much and more is grams; where no line has a unit of weight, of so much and more [lines; g; g] (judgement).
LEAST_IN_GRAMS, LEAST_BARE_GRAMS, LEAST_TOLD_BARE_GRAMS = 2, 20, 50

# "150 g sugar for the caramel": boiled apart from the rest, whatever the list does without a heading.
_FOR_CARAMEL = re.compile(
    r"\bfor\s+(?:the\s+|a\s+)?caramel\W*$|^sugar for (?:the )?caramel\s*[-–—:,.]*\s*\d[\d./½¼¾ ]*\s*[a-z]+$", re.I
)


def _boiled_apart(pieces: Sequence[Piece], method: str) -> list[Piece]:
    """Return the sugar that the method boils to a caramel by itself, and its water, in a list of one part with another sugar: "boil the granulated sugar and water to amber"."""
    sugars = [p for p in pieces if p.role == "food" and re.search(r"\bsugar\b", p.text, re.I)]
    if len(sugars) < SEVERAL_SUGARS or any(p.component for p in pieces):
        return []
    water = [p for p in pieces if p.role == "food" and re.search(r"\bwater\b", p.text, re.I)]
    for told in _TO_AMBER.finditer(method):
        kind = _KIND_OF_SUGAR.search(told[0])
        meant = [p for p in sugars if kind and re.search(rf"(?<![\w.]){re.escape(kind[1])}", p.text, re.I)]
        if len(meant) == 1:
            return [*meant, *(water if len(water) == 1 and "water" in told[0].lower() else [])]
    return []


SEVERAL_SUGARS = 2
# A sentence that boils sugar until it browns, and which sugar it says.
_TO_AMBER = re.compile(
    r"[^.;\n]*\bsugar\b[^;\n]{0,160}?\b(?:amber|caramel(?:ises|izes)?|golden[- ]brown|dark golden|deep golden)\b", re.I
)
_KIND_OF_SUGAR = re.compile(
    r"\b(granulated|caster|white|brown|demerara|\d+\s*(?:g|ml|oz|cups?))(?:\s+of\s+(?:the\s+)?)?\s+sugar\b", re.I
)


def _in_its_part(piece: Piece) -> Piece:
    is_caramel = not piece.component and _FOR_CARAMEL.search(piece.text)
    return replace(piece, component="caramel") if is_caramel else piece


def _named_aside(parsed: ParsedLine, index: NameIndex) -> list[Candidate]:
    """Return the food that a bracket names in other words ("150 g Zucker (sugar)"), where that is sure; else none."""
    words, *others = (part.strip() for part in parsed.preparation.split(","))
    # "nat. yoghurt", "Pastry: as usual, 6 oz flour"
    is_cut_short = len(parsed.name) < SHORT_NAME or ":" in parsed.name
    is_aside = is_cut_short or re.search(rf"[(\[]\s*{re.escape(words)}|/", parsed.text) is not None
    if not is_aside or any(is_sure(index.match(other)) for other in others):
        return []  # "(strawberries, raspberries, redcurrants)": several of a kind
    if not 1 <= len(words.split()) <= 3 or set(words_of(words)) <= word_list("neutral"):
        return []
    found = index.match(words)
    return found if is_sure(found) and found[0].confidence >= SURE_ASIDE else []


# A name of fewer letters is a word cut short (judgement).
SHORT_NAME = 5


def _weighed_aside(parsed: ParsedLine, index: NameIndex) -> list[Candidate]:
    """Return the food that a bracket names with its weight beside a name that nobody knows: "3 cenouras (about 270 g carrots)"; else none."""
    for aside in re.findall(r"\(([^()]*\d[^()]*)\)", parsed.text):
        inside = parse_line(re.sub(r"^\W*(?:about|approx\.?|ca\.?|=)\s*", "", aside))
        if inside.sums and inside.sums[0].unit and inside.name and not index.match(parsed.name):
            found = index.match(inside.name)
            return found if is_sure(found) and found[0].confidence >= SURE_ASIDE else []
    return []


_OR_OTHER = re.compile(r"\bor\s+(?:(?:some|any)\s+)?other\b", re.I)


def _in_a_known_tongue(parsed: ParsedLine, index: NameIndex) -> ParsedLine:
    """Return a line by the name that its slash gives in another tongue ("levure / baking powder"), or that says what kind of food its maker's name is
    ("Zorbo or other shortening"), where only that one is known."""
    other = next(iter(parsed.alternatives), "")
    is_said_again = "/" in parsed.text or _OR_OTHER.search(parsed.text) is not None
    if not other or not is_said_again or is_sure(index.match(parsed.name)):
        return parsed
    name = re.sub(r"\s+-\s.*$", "", other)
    found = index.match(name)
    is_known = is_sure(found) and found[0].confidence >= SURE_ASIDE
    return replace(parsed, name=name, alternatives=()) if is_known else parsed


# How sure the words in a bracket must be before they are taken instead of the name.
SURE_ASIDE = 0.95


def _told_apart(
    parsed: ParsedLine, candidates: list[Candidate], doubtful: tuple[str, ...], pantry: Pantry
) -> list[Candidate]:
    """Return the candidates of a counted name whose kinds differ in weight: the one its stated weight fits, or a doubt."""
    if not doubtful or not parsed.sums or not (parsed.sums[0].unit is None or parsed.sums[0].unit == "piece"):
        return candidates
    fits = [
        key
        for key in doubtful
        if (w := weigh(parsed, pantry[key], cup_standard("us"))) and w.stated is not None and w.conflict is None
    ]
    if fits:
        return [Candidate(fits[0], pantry[fits[0]].name, 0.95), *(c for c in candidates if c.ingredient != fits[0])]
    kinds = [Candidate(key, pantry[key].name, 0.7 - 0.05 * n) for n, key in enumerate(doubtful)]
    return [
        *kinds,
        *(replace(c, confidence=min(c.confidence, 0.5)) for c in candidates if c.ingredient not in doubtful),
    ]
