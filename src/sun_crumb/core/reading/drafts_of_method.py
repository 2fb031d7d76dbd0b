"""The foods that only a method names, with their amounts: drafts of them beside the list's, or instead of a list."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from dataclasses import replace
from itertools import chain

from sun_crumb.core.pantry import Pantry
from sun_crumb.core.pantry.names import singular, words_of
from sun_crumb.core.reading.drafts import Draft
from sun_crumb.core.reading.headings import names_a_part
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.match import NameIndex, is_sure, name_index
from sun_crumb.core.reading.mentions import fruit_parts_in, mentions
from sun_crumb.core.reading.pieces import SENTENCE, Piece
from sun_crumb.core.reading.portion_cues import statements
from sun_crumb.core.reading.records import Amount
from sun_crumb.core.reading.several import split_line

# So sure must be what a sentence only counts ("2 bananas"), where much else is counted [probability] (judgement).
SURE_COUNTED = 0.93


# One food alone is no list, where the method tells several.
LEAST_LISTED, LEAST_TOLD = 2, 3


def _is_told(found: Sequence[Piece], index: NameIndex) -> bool:
    """Return whether a method alone tells the foods of a recipe, with their amounts."""
    told = [s for piece in found if piece.role == "step" for s in mentions(piece.text, is_list=True)]
    return sum(bool(index.match(parse_line(s).name)) for s in told[:MOST_TOLD]) >= LEAST_TOLD


MOST_TOLD = 8


def mentioned(found: Sequence[Piece], drafts: list[Draft], pantry: Pantry, portions: Sequence[str] = ()) -> list[Draft]:
    """Return drafts of the foods that only the method names with an amount; what the list holds is not repeated, nor are the *portions* that it tells."""
    index = name_index(pantry)
    if sum(bool(d.parsed and d.parsed.sums and d.ingredient) for d in drafts) < LEAST_LISTED and _is_told(found, index):
        return _told(found, index, pantry)
    listed = {d.ingredient.key for d in drafts if d.ingredient}
    named = [(frozenset(words_of(d.parsed.name)), d.parsed.sums[:1]) for d in drafts if d.parsed and d.parsed.name]
    components = list(dict.fromkeys(d.piece.component for d in drafts if d.parsed))
    ahead, extra = _told_ahead(found, index, pantry)
    for piece in found:
        if piece.role != "step" or piece in ahead:
            continue
        made = [*_made(piece.text), *portions]
        same = (part for said in _of_the_same(piece.text, drafts) for part in split_line(said))
        told = (*mentions(piece.text), *_of_other_fruit(piece.text, drafts), *same)
        for statement in told:
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
            where = next((c for c in components if c and c in piece.text.lower()), None) or _part_beside(
                statement, piece, drafts
            )
            if not where and not is_sure(draft.candidates) and _is_served_on_top(statement, piece):
                where = "to serve"
            if where is None:
                # What is dusted on in the end is of the last part.
                on_top = re.match(r"\W*(?:[^.;]*\b)?(?:dust|sprinkle|scatter|decorate)\b", piece.text, re.I)
                where = (components[-1] if on_top and "" not in components else components[0]) if components else ""
            extra.append(replace(draft, piece=replace(draft.piece, component=where), is_mention=True))
    return _told_beside_the_list(extra, found, drafts, index, pantry) or extra


def _told_ahead(found: Sequence[Piece], index: NameIndex, pantry: Pantry) -> tuple[list[Piece], list[Draft]]:
    """Return the steps above a list that tell a part of their own, and drafts of its foods: "Mix 5 cups rhubarb, 3/4 cup sugar, 2 T flour", over "Topping: 1 cup oats, ..."."""
    begin = next((n for n, piece in enumerate(found) if piece.role == "food"), len(found))
    parts = [piece for piece in found[begin:] if piece.role == "food"]
    ahead = [piece for piece in found[:begin] if piece.role == "step"]
    told = _told(ahead, index, pantry) if ahead and parts and all(piece.component for piece in parts) else []
    measured = [draft for draft in told if draft.parsed and draft.parsed.sums[0].unit]
    return (ahead, told) if len(measured) >= LEAST_TOLD else ([], [])


def _told_beside_the_list(
    extra: Sequence[Draft], found: Sequence[Piece], drafts: Sequence[Draft], index: NameIndex, pantry: Pantry
) -> list[Draft]:
    """Return drafts of all that the steps tell with amounts, where they tell more foods than the list, which is of one part: "mix 500 g flour, 60 g sugar" beside the icing's list."""
    listed = [d for d in drafts if d.parsed and d.parsed.sums and d.ingredient]
    weighed = [d for d in extra if d.parsed and d.parsed.sums[0].unit in _WEIGHED]
    is_of_parts = all(d.piece.component for d in listed)
    if not is_of_parts or len(weighed) < LEAST_TOLD_BESIDE or len(extra) <= len(listed):
        return []
    own = {(d.ingredient.key, a.low, a.unit) for d in listed if d.ingredient and d.parsed for a in d.parsed.sums}
    told = _told(found, index, pantry)
    return [
        replace(d, piece=replace(d.piece, component=""))
        for d in told
        if d.parsed and not (d.ingredient and any((d.ingredient.key, a.low, a.unit) in own for a in d.parsed.sums))
    ]


# So many foods that only the steps tell by weight are no aside (judgement).
LEAST_TOLD_BESIDE = 3


def _is_served_on_top(statement: str, piece: Piece) -> bool:
    """Return whether the sentence that names a food serves with it what is made: "Whip 200 ml cream and serve on top"."""
    said = next((s for s in SENTENCE.split(piece.text) if statement.split()[-1] in s and statement.split()[0] in s), "")
    return re.search(r"\bserve\w*\b|\bon top\b", said, re.I) is not None


def _of_other_fruit(step: str, drafts: Sequence[Draft]) -> list[str]:
    """Return what a step takes of a citrus fruit that the list does not name: "the zest of half a lemon"."""
    listed = " ".join(draft.parsed.text.lower() for draft in drafts if draft.parsed)
    own = (s for s in fruit_parts_in(step) if not any(fruit in listed for fruit in _CITRUS if fruit in s.lower()))
    return [part for said in own for part in split_line(said)]


_CITRUS = ("lemon", "lime", "orange", "grapefruit")
# What a food is weighed or measured by, and never counted.
_WEIGHED = frozenset({"g", "kg", "oz", "lb", "ml", "cl", "dl", "l", "cup", "pint"})


def _part_beside(statement: str, piece: Piece, drafts: Sequence[Draft]) -> str | None:
    """Return the one part whose foods a step names right before a statement: "stir in buttermilk + 1 egg"; None where it is of several or none."""
    before = piece.text[: piece.text.find(statement)] if statement in piece.text else piece.text
    said = {singular(word) for word in words_of(before)}
    parts: dict[str, set[str]] = {}
    for draft in drafts:
        if draft.parsed and draft.parsed.name and draft.parsed.sums:
            last = singular(words_of(draft.parsed.name)[-1]) if words_of(draft.parsed.name) else ""
            if last in said:
                parts.setdefault(last, set()).add(draft.piece.component)
    sure = {next(iter(of)) for of in parts.values() if len(of) == 1}
    return next(iter(sure)) if len(sure) == 1 else None


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
    parts = _labelled_parts(found)
    for piece in found:
        if piece.role != "step":
            continue
        piece = replace(piece, component=parts.get(piece.number, piece.component))
        made = _made(piece.text)
        for told in chain(mentions(piece.text, is_list=True), _of_the_same(piece.text, drafts)):
            if _is_among(told, made):
                continue
            for statement in split_line(told):
                if draft := _mention(statement, piece, index, pantry):
                    drafts.append(draft)
                elif (parsed := parse_line(statement)).name and parsed.sums and _is_bought(parsed.sums[0]):
                    asked = Piece(statement, "food", piece.component, piece.number)
                    if not _A_VESSEL.search(parsed.name):
                        likely = index.match(parsed.name)
                        drafts.append(Draft(asked, parsed, likely, pantry[likely[0].ingredient] if likely else None))
    return drafts


def _labelled_parts(found: Sequence[Piece]) -> dict[int, str]:
    """Return the parts that steps name before what goes into them, by the numbers of their lines, where they name more than one: "Frangipane: beat 125 g butter"."""
    named = {
        p.number: label[1].lower()
        for p in found
        if p.role == "step" and (label := _LABEL.match(p.text)) and names_a_part(label[1])
    }
    return named if len(set(named.values())) > 1 else {}


_LABEL = re.compile(
    r"\W*(?:step\s+\w+\W+)?(?:(?:to )?(?:make|prepare|mix|for)\s+(?:the\s+|an?\s+)?)?([^\W\d_]+(?: [^\W\d_]+)?)\s*:(?=\s|$)",
    re.I,
)
# "the juice of the lemons", whose zest is in it already
_THE_SAME_FRUIT = re.compile(
    r"\b(?P<part>juice|zest)\s+(?:of|from)\s+(?:(?:the|those)\s+(?:two|three|2|3|same)|the|both|those)\s+(?P<fruit>lemon|lime|orange)s?\b",
    re.I,
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


def _is_bought(amount: Amount) -> bool:
    """Return whether an amount is weighed or spooned, or a bare number that nobody counts: "600 cream"."""
    return amount.unit in _BOUGHT_BY or (amount.unit is None and amount.low >= LEAST_WEIGHED)


# Nobody counts out so many of a food [1] (judgement).
LEAST_WEIGHED = 40
# What no vessel is told by, but foods are.
_BOUGHT_BY = frozenset({"g", "kg", "oz", "lb", "ml", "cl", "dl", "l", "pint", "tsp", "tbsp", "cup"})
_A_VESSEL = re.compile(
    r"\b(?:tins?|pans?|dish|dishes|moulds?|molds?|basins?|bowls?|ramekins?|glass(?:es)?|loaf|water)\b", re.I
)


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
    if not is_sure(candidates) and not (
        candidates and parsed.sums[0].unit in _WEIGHED and index.is_ambiguous(parsed.name)
    ):
        return None
    if parsed.sums[0].unit is None and candidates[0].confidence < SURE_COUNTED:
        return None
    food = pantry[candidates[0].ingredient]
    return Draft(Piece(statement, "food", piece.component, piece.number), parsed, candidates, food)
