"""The foods of a text's pieces with what each may be: one draft for each statement, before anything is weighed."""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import chain

from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.pantry.names import singular, words_of
from sun_crumb.core.quantities.measures import cup_standard, units
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.match import NameIndex, is_sure, name_index
from sun_crumb.core.reading.mentions import mentions
from sun_crumb.core.reading.own_measure import OwnMeasure
from sun_crumb.core.reading.pieces import Piece
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Candidate, ParsedLine
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
    fruit, eggs = "", ""
    for piece in pieces:
        text = _OF_SO_MANY.sub(rf"\g<part> {fruit}s" if fruit else r"\g<0>", piece.text)
        found += drafts_of(
            piece, pantry, pot, _as_heavy_as(eggs, text) or split_line(text) if piece.role == "food" else ()
        )
        if piece.role == "food":
            fruit = named[-1].lower() if (named := _CITRUS.findall(piece.text)) else fruit
            eggs = piece.text if _EGGS.search(piece.text) else eggs
    return found


def _as_heavy_as(eggs: str, text: str) -> tuple[str, ...]:
    """Return the statements of a line that weighs several foods by the eggs of the line before ("same weight butter, sugar, flour"); none where it does not."""
    told = _SAME_WEIGHT.fullmatch(text)
    count = re.match(r"\W*(\d{1,2})\b", eggs)
    if told is None or count is None:
        return ()
    weighed = re.search(r"\b(\d{2,4})\s*g\b", eggs)
    grams = int(weighed[1]) if weighed else int(count[1]) * EGG_IN_SHELL_G
    return tuple(
        f"{grams} g {food.strip()}"
        for food in re.split(r",\s*(?:and\s+)?|\s+and\s+|\s*&\s*", told["foods"])
        if food.strip()
    )


# What an egg weighs with its shell [g] (common practice).
EGG_IN_SHELL_G = 58
_EGGS = re.compile(r"\beggs\b", re.I)
_SAME_WEIGHT = re.compile(
    r"\W*(?:the\s+)?(?:(?:same|equal)\s+weights?\s+(?:each\s+)?(?:of\s+|in\s+)?|(?:their|the eggs['’]?|its)\s+(?:own\s+)?weight\s+(?:each\s+)?(?:of|in)\s+(?:each\s+)?)(?:each\s+of\s+)?(?P<foods>[^\d()]{4,80})",
    re.I,
)
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
    for statement in chain.from_iterable(_with_what_is_behind(told, index) for told in foods):
        parsed = parse_line(pot.in_ml(statement) if pot else statement)
        if parsed.alternatives and (whole := index.shared_head(parsed.name, parsed.alternatives[0])):
            parsed = replace(parsed, name=whole)
        is_more = bool(parsed.preparation) and not parsed.preparation.startswith("for ")
        if is_more and parsed.name and set(words_of(parsed.name)) <= word_list("neutral"):
            # "blanched, finely ground almond flour": the comma stands among adjectives.
            parsed = replace(parsed, name=f"{parsed.name} {parsed.preparation}")
        spoken = parsed.sums[0].text.lower().split() if parsed.sums else []
        is_tinned = bool({"can", "cans", "tin", "tins"} & set(spoken))
        holder = " tinned" if (is_tinned or _is_a_tinful(parsed)) and index.is_ambiguous(parsed.name) else ""
        parsed = _in_a_known_tongue(parsed, index)
        candidates = index.match(parsed.name, parsed.preparation + holder)
        candidates = _told_apart(parsed, candidates, index.doubtful_by_count(parsed.name), pantry)
        is_bare_tin = is_tinned and parsed.sums[0].unit in ("tin", "can")
        if is_bare_tin and candidates and pantry[candidates[0].ingredient].measure(parsed.sums[0].unit or "") is None:
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
    if not grams and all(amount.unit in (None, "tsp", "tbsp", "pinch", "ml") for amount in firsts):
        # "butter 175, caster sugar 175, flour 175": nobody counts so many of them.
        grams = sum(amount.unit is None and amount.low >= LEAST_TOLD_BARE_GRAMS for amount in firsts)
    found: list[Draft] = []
    last: str | None = None
    for draft in drafts:
        first = draft.parsed.sums[0] if draft.parsed and draft.parsed.sums else None
        if draft.parsed and draft.ingredient and first and first.unit is None and not first.size:
            is_elliptic = first.text.lower().endswith(" of") and last is not None
            is_grams = is_said or (grams >= LEAST_IN_GRAMS and first.low >= LEAST_BARE_GRAMS)
            if (is_elliptic or is_grams) and draft.ingredient.measure("each") is None:
                told = replace(first, unit=last if is_elliptic else "g")
                draft = replace(draft, parsed=replace(draft.parsed, sums=(told, *draft.parsed.sums[1:])))
        elif first and first.unit:
            last = first.unit if units()[first.unit].kind == "mass" else None
        found.append(draft)
    return found


_ALL_IN_GRAMS = re.compile(
    r"\b(?:all|weights?|amounts?|quantities|everything)\s+(?:is\s+|are\s+|given\s+)?(?:in\s+)?(?:g|grams?|grammes)\b",
    re.I,
)
# In so many lines of grams a bare number of so much and more is grams; where no line has a unit of weight, of so much and more [lines; g; g] (judgement).
LEAST_IN_GRAMS, LEAST_BARE_GRAMS, LEAST_TOLD_BARE_GRAMS = 2, 20, 50

# "150 g sugar for the caramel": boiled apart from the rest, whatever the list does without a heading.
_FOR_CARAMEL = re.compile(r"\bfor\s+(?:the\s+|a\s+)?caramel\W*$", re.I)


def _in_its_part(piece: Piece) -> Piece:
    is_caramel = not piece.component and _FOR_CARAMEL.search(piece.text)
    return replace(piece, component="caramel") if is_caramel else piece


def _named_aside(parsed: ParsedLine, index: NameIndex) -> list[Candidate]:
    """Return the food that a bracket names in other words ("150 g Zucker (sugar)"), where that is sure; else none."""
    words, *others = (part.strip() for part in parsed.preparation.split(","))
    if any(is_sure(index.match(other)) for other in others):
        return []  # "(strawberries, raspberries, redcurrants)": several of a kind
    if not 1 <= len(words.split()) <= 3 or set(words_of(words)) <= word_list("neutral"):
        return []
    found = index.match(words)
    return found if is_sure(found) and found[0].confidence >= SURE_ASIDE else []


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
# So sure must be what a sentence only counts ("2 bananas"), where much else is counted [probability] (judgement).
SURE_COUNTED = 0.93


# One food alone is no list, where the method tells several.
LEAST_LISTED, LEAST_TOLD = 2, 3


def _is_told(found: Sequence[Piece], index: NameIndex) -> bool:
    """Return whether a method alone tells the foods of a recipe, with their amounts."""
    told = [s for piece in found if piece.role == "step" for s in mentions(piece.text, is_list=True)]
    return sum(bool(index.match(parse_line(s).name)) for s in told[:MOST_TOLD]) >= LEAST_TOLD


MOST_TOLD = 8


def mentioned(found: Sequence[Piece], drafts: list[Draft], pantry: Pantry) -> list[Draft]:
    """Return drafts of the foods that only the method names with an amount; what the list holds is not repeated."""
    index = name_index(pantry)
    if sum(bool(d.parsed and d.parsed.sums and d.ingredient) for d in drafts) < LEAST_LISTED and _is_told(found, index):
        return _told(found, index, pantry)
    listed = {d.ingredient.key for d in drafts if d.ingredient}
    named = [(frozenset(words_of(d.parsed.name)), d.parsed.sums[:1]) for d in drafts if d.parsed and d.parsed.name]
    components = list(dict.fromkeys(d.piece.component for d in drafts if d.parsed))
    extra: list[Draft] = []
    for piece in found:
        if piece.role != "step":
            continue
        made = _made(piece.text)
        for statement in mentions(piece.text):
            if _is_among(statement, made) or (draft := _mention(statement, piece, index, pantry)) is None:
                continue
            parsed, key = draft.parsed, draft.candidates[0].ingredient
            assert parsed is not None
            words = frozenset(words_of(parsed.name))
            first = parsed.sums[0]
            # "the sugar" is the list's caster sugar; "2 tbsp icing sugar" is not its 150 g of sugar, unless as much of it.
            is_more = key in listed and _is_more_on_top(statement, piece, found, drafts)
            if not is_more and (
                key in listed
                or any(
                    words <= name
                    or (name <= words and any((a.low, a.unit) == (first.low, first.unit) for a in amounts))
                    for name, amounts in named
                )
            ):
                continue
            if any(words & set(words_of(component)) for component in components if component):
                continue  # "a teaspoon of jam in each": a part that is made here
            listed.add(key)
            # A method often stands after the last component's list; the component that the step names is meant.
            where = next((c for c in components if c and c in piece.text.lower()), None)
            if where is None:
                # What is dusted on in the end is of the last part.
                on_top = re.match(r"\W*(?:[^.;]*\b)?(?:dust|sprinkle|scatter|decorate)\b", piece.text, re.I)
                where = (components[-1] if on_top and "" not in components else components[0]) if components else ""
            extra.append(replace(draft, piece=replace(draft.piece, component=where), is_mention=True))
    return extra


# "Sprinkle with 1 tbsp sugar": what is strewn in the end; "the rest of", "divided": it is of the list.
_STREWS = r"\b(?:sprinkle|dust|scatter|strew)\b[^.;,]{0,30}\bwith\s+(?:about\s+|another\s+)?"
_OF_THE_LIST = re.compile(
    r"\b(?:divided|reserv\w*|remaining|rest|saved?|keep\w*|kept|set aside|all but|half|plus|extra|more|to (?:sprinkle|dust|finish|roll)|for (?:sprinkling|dusting|rolling))\b",
    re.I,
)


def _is_more_on_top(statement: str, piece: Piece, found: Sequence[Piece], drafts: Sequence[Draft]) -> bool:
    """Return whether an amount of a food of the list is strewn on besides what the list tells, which is mixed in whole."""
    if not re.search(_STREWS + re.escape(statement), piece.text, re.I):
        return False
    parsed = parse_line(statement)
    word = words_of(parsed.name)[-1:]
    own = [d for d in drafts if d.parsed and set(word) <= set(words_of(d.parsed.name))]
    told = [p.text for p in found if p.role == "step" and word and re.search(rf"\b{word[0]}", p.text, re.I)]
    amounts = [(a.low, a.unit) for d in own if d.parsed for a in d.parsed.sums]
    first = parsed.sums[0]
    # "Cream with 1 cup sugar ... sprinkle with 1/4 cup sugar": the method divides what the list holds.
    elsewhere = sum(word[0] in said.lower() for text in told for said in mentions(text)) if word else 0
    near = re.compile(rf"{_OF_THE_LIST.pattern}[^.;]{{0,25}}\b{word[0]}" if word else "$.", re.I)
    is_of_it = any(near.search(text) for text in told) or any(_OF_THE_LIST.search(d.piece.text) for d in own)
    return bool(word) and (first.low, first.unit) not in amounts and elsewhere == 1 and not is_of_it


def _told(found: Sequence[Piece], index: NameIndex, pantry: Pantry) -> list[Draft]:
    """Return drafts of the foods of a recipe that has no list: each amount that its sentences name, in order.

    What is weighed or spooned and no food of the pantry is asked about; what is only counted ("a bowl") is no food then.
    """
    drafts: list[Draft] = []
    for piece in found:
        if piece.role != "step":
            continue
        made = _made(piece.text)
        for told in chain(mentions(piece.text, is_list=True), _of_the_same(piece.text, drafts)):
            if _is_among(told, made):
                continue
            for statement in split_line(told):
                if draft := _mention(statement, piece, index, pantry):
                    drafts.append(draft)
                elif (parsed := parse_line(statement)).name and parsed.sums and parsed.sums[0].unit in _BOUGHT_BY:
                    asked = Piece(statement, "food", piece.component, piece.number)
                    if not _A_VESSEL.search(parsed.name):
                        likely = index.match(parsed.name)
                        drafts.append(Draft(asked, parsed, likely, pantry[likely[0].ingredient] if likely else None))
    return drafts


# "the juice of the lemons", whose zest is in it already
_THE_SAME_FRUIT = re.compile(
    r"\b(?P<part>juice|zest)\s+(?:of|from)\s+(?:the|both|those)\s+(?P<fruit>lemon|lime|orange)s?\b", re.I
)


def _of_the_same(step: str, drafts: Sequence[Draft]) -> Iterator[str]:
    """Give the juice, or the zest, of fruit of which the other was told with its number: "the zest of 2 lemons ... the juice of the lemons"."""
    for said in _THE_SAME_FRUIT.finditer(step):
        fruit, other = said["fruit"].lower(), "zest" if said["part"].lower() == "juice" else "juice"
        for draft in drafts:
            if (
                draft.parsed
                and draft.parsed.sums
                and {fruit, other} <= {singular(w) for w in words_of(draft.parsed.name)}
            ):
                yield f"{said['part'].lower()} of {draft.parsed.sums[0].middle:g} {fruit}s"
                break


# What no vessel is told by, but foods are.
_BOUGHT_BY = frozenset({"g", "oz", "ml", "tsp", "tbsp", "cup"})
_A_VESSEL = re.compile(r"\b(?:tins?|pans?|dish|dishes|moulds?|molds?|bowls?|ramekins?|glass(?:es)?|loaf|water)\b", re.I)


def _made(step: str) -> list[str]:
    """Return what a step says of what the recipe makes ("yield 18 biscuits"), in small letters."""
    return [said.text.lower() for said in statements(step)]


def _is_among(statement: str, made: Sequence[str]) -> bool:
    """Return whether an amount is part of what the recipe makes."""
    return any(statement.lower() in said for said in made)


def _mention(statement: str, piece: Piece, index: NameIndex, pantry: Pantry) -> Draft | None:
    """Return the draft of a statement that a sentence holds; none where no food of the pantry is surely meant."""
    parsed = parse_line(statement)
    if not parsed.sums:
        return None
    # "2 cloves and a strip of zest": the unit is the food's own name.
    candidates = index.match(parsed.name or parsed.sums[0].text)
    if not is_sure(candidates) or (parsed.sums[0].unit is None and candidates[0].confidence < SURE_COUNTED):
        return None
    food = pantry[candidates[0].ingredient]
    return Draft(Piece(statement, "food", piece.component, piece.number), parsed, candidates, food)


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
