"""The whole text -> a Reading."""

from __future__ import annotations

import re
from collections.abc import Mapping, Sequence
from dataclasses import replace

from sun_crumb.core.errors import EmptyRecipeError, TextTooLongError
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.measures import CupStandard, cup_standard, units
from sun_crumb.core.quantities.nouns import plural, singular
from sun_crumb.core.reading.amounts import read_amount
from sun_crumb.core.reading.cups import infer_cup
from sun_crumb.core.reading.dessert_words import PIECES_BY_NAME
from sun_crumb.core.reading.document import Document, document
from sun_crumb.core.reading.drafts import LONGEST_LINE, Draft, drafts_of_all, with_units
from sun_crumb.core.reading.drafts_of_method import mentioned
from sun_crumb.core.reading.frying import with_what_is_taken_up
from sun_crumb.core.reading.known import Known
from sun_crumb.core.reading.line import parse_line
from sun_crumb.core.reading.match import SURE, in_a_metric_kitchen, is_sure, name_index, told_beside
from sun_crumb.core.reading.one_amount import is_absurd, is_too_strong
from sun_crumb.core.reading.oven_heat import no_ovens_heat, read_oven
from sun_crumb.core.reading.oven_net import caught_oven
from sun_crumb.core.reading.own_measure import own_measure
from sun_crumb.core.reading.pieces import Piece
from sun_crumb.core.reading.portions import portions
from sun_crumb.core.reading.records import (
    Amount,
    Candidate,
    ComponentYield,
    LineStatus,
    Oven,
    ParsedLine,
    Portions,
    Reading,
    ReadLine,
    Role,
    TextLine,
    Yield,
)
from sun_crumb.core.reading.several import split_line
from sun_crumb.core.reading.stated import own_yields
from sun_crumb.core.reading.steps import read_bake_minutes, read_times
from sun_crumb.core.reading.tin_sizes import read_tin
from sun_crumb.core.reading.weigh import weigh

MOST_CHARACTERS = 200_000
MOST_LINES = 2_500
_LETTERS = re.compile(r"[A-Za-z\u00c0-\u024f]{2,}")
# What an unmeasured line comes to: a trace that neither sugar nor balance feels (common practice).
_TRACE_ROLES = ("salt", "flavour", "leaven")


def read_recipe(text: str, pantry: Pantry, cup: str | None = None, roles: Mapping[int, Role] | None = None) -> Reading:
    """Return *text* as a recipe in grams.

    Parameters
    ----------
    text
        A pasted recipe; at most 200,000 characters.
    pantry
        Where names are looked up.
    cup
        The cup standard to use; by default it is inferred from the text.
    roles
        What the baker says that lines are, by their number, from 0; the rest follows.

    Raises
    ------
    EmptyRecipeError, TextTooLongError
        Nothing to read, or more than any recipe.
    """
    if len(text) > MOST_CHARACTERS:
        raise TextTooLongError(
            f"the text has {len(text):,} characters; a recipe of more than {MOST_CHARACTERS:,} is not read",
            field="text",
            length=len(text),
            most=MOST_CHARACTERS,
        )
    if not text.strip():
        raise EmptyRecipeError("there is no text to read: paste a recipe, one ingredient on each line", field="text")
    if (count := len(_LINE_END.findall(text)) + 1) > MOST_LINES:
        raise TextTooLongError(
            f"the text has {count:,} lines; at most {MOST_LINES:,} are read", field="text", most=MOST_LINES
        )
    read = document(text, lambda statement: _known(statement, pantry), roles)
    found = read.pieces
    pot = own_measure(piece.text for piece in found if piece.role == "food")
    drafts = drafts_of_all((piece for piece in found if piece.role != "title"), pantry, pot)
    drafts = with_units(drafts, (piece.text for piece in found))
    drafts += mentioned(found, drafts, pantry, [said.text.lower() for said in read.stated])
    pairs = [(d.parsed, d.ingredient) for d in drafts if d.parsed is not None]
    if cup is None:
        standard, reason = infer_cup(text, pairs)
    else:
        standard, reason = cup_standard(cup), "chosen"
    drafts = [_as_its_list_says(_as_its_kitchen_says(draft, standard, pantry), drafts, pantry) for draft in drafts]
    steps = tuple(p.text for p in found if p.role == "step")
    method = "\n".join(p.text for p in found if p.role not in ("food", "heading", "junk"))
    own = own_yields(found)
    told = portions(read.stated)
    fields = "\n".join(found_in for p in found if p.role != "step" for found_in in _OVEN_FIELD.findall(p.text))
    oven = (
        read_oven(fields)
        or read_oven("\n".join(steps))
        or read_oven(method)
        or read_oven(_junk_text(read))
        or _baked_beside(found)
        or caught_oven("\n".join(steps))
        or caught_oven(method)
        or caught_oven(_junk_text(read))
    )
    lines = with_what_is_taken_up([_finish(draft, pantry, standard) for draft in drafts], pantry)
    told = _believed(told, lines)
    too_hot = "" if oven else no_ovens_heat(method)
    return Reading(
        title=(read.title or _name_of_a_portion(told))[:200],
        yields=_yield_of(told),
        cup=standard.key,
        cup_ml=standard.cup_ml,
        cup_reason=reason,
        oven=oven,
        oven_problem=f"{too_hot} is no oven’s heat: the recipe stands without one until you mend it" if too_hot else "",
        bake_minutes=read_bake_minutes("\n".join(steps))
        or read_bake_minutes(method)
        or read_bake_minutes(_junk_text(read)),
        lines=lines,
        steps=steps,
        tin=read_tin("\n".join(steps)) or read_tin(f"{method}\n{_heading_text(read)}") or read_tin(_junk_text(read)),
        component_yields=tuple(ComponentYield(component, count) for component, count in own.items()),
        times=read_times("\n".join(steps)),
        portions=told,
        text_lines=tuple(TextLine(line.shown, role) for line, role in read.lines),
    )


def _as_its_kitchen_says(draft: Draft, cup: CupStandard, pantry: Pantry) -> Draft:
    """Return a draft of an ambiguous name with what a kitchen of metric cups means by it first: "syrup" is golden there. It is asked about all the same."""
    first = in_a_metric_kitchen().get(draft.parsed.name.lower()) if draft.parsed and cup.key == "metric" else None
    if first is None or first not in [c.ingredient for c in draft.candidates]:
        return draft
    ranked = sorted(draft.candidates, key=lambda c: c.ingredient != first)
    return replace(draft, candidates=ranked, ingredient=pantry[first])


def _as_its_list_says(draft: Draft, drafts: Sequence[Draft], pantry: Pantry) -> Draft:
    """Return a draft of an ambiguous name as the food that the other lines speak for alone: "juice" below the zest of an orange, "mel" beside "smør"."""
    told = told_beside().get(draft.parsed.name.lower(), ()) if draft.parsed else ()
    others = [other.parsed.text for other in drafts if other is not draft and other.parsed]
    keys = [key for key, words in told if any(map(words.search, others))]
    if len(keys) != 1 or keys[0] not in pantry:
        return draft
    return replace(draft, candidates=[Candidate(keys[0], pantry[keys[0]].name, SURE)], ingredient=pantry[keys[0]])


def _believed(told: Portions | None, lines: Sequence[ReadLine]) -> Portions | None:
    """Return portions as a guess where one would weigh more, or less, than anyone eats: "2 rolls" of two kilograms, 350 of a batch of biscuits."""
    if told is None or told.count is None:
        return told
    grams = sum(line.grams or 0.0 for line in lines) / told.count
    is_serving = told.unit == "serving" and _MADE.match(told.text) is None
    most = HEAVIEST_SERVING_G if is_serving else HEAVIEST_PIECE_G
    return told if LIGHTEST_G < grams < most or not grams else replace(told, is_assumed=True)


# "Cut each loaf in 10; makes 2": so many of what is made, and nobody is said to eat them.
_MADE = re.compile(
    r"\W*(?:makes?|yields?|gives?|fills?|quantity|batch)\b(?!.*\b(?:serv|portion|people|person|helping))", re.I
)
# What is eaten as one weighs between these [g] (judgement).
LIGHTEST_G, HEAVIEST_PIECE_G, HEAVIEST_SERVING_G = 4.0, 400.0, 900.0
# "Makes: 30 / Oven: 170 °C, then 150 °C": a field of its own
_OVEN_FIELD = re.compile(r"\boven(?: temp(?:erature)?)?\s*[:=]\s*(?:gas\s*(?:mark\s*)?\d|\d{2,3})[^|/\n]{0,40}", re.I)
_LINE_END = re.compile(r"\r\n|[\n\r\u2028\u2029\v\f]")


def _baked_beside(found: Sequence[Piece]) -> Oven | None:
    """Return the oven that a line of the list tells behind its food: "1/2 c pecans. bake 20 min 350"."""
    return read_oven("\n".join(m[0] for p in found if p.role == "food" for m in [_BAKED.search(p.text)] if m))


_BAKED = re.compile(r"\bbake[sd]?\b[^\n]{0,40}\d{3}\b.*", re.I)


def _name_of_a_portion(told: Portions | None) -> str:
    """Return the dessert that a text without a name counts: "16 brownies"; empty where it counts slices or eaters."""
    return plural(told.unit).capitalize() if told and told.unit in PIECES_BY_NAME else ""


def _heading_text(read: Document) -> str:
    return "\n".join(line.raw for line, role in read.lines if role in ("title", "heading"))


def _junk_text(read: Document) -> str:
    """Return the lines that tell no more than a tool: "Pan: 8x8 in, lined"."""
    return "\n".join(line.raw for line, role in read.lines if role == "junk")


def _yield_of(told: Portions | None) -> Yield | None:
    """Return what the text states that it makes: portions, or else what they would be cut from."""
    if told is not None and told.count is not None and (not told.is_assumed or told.whole):
        return Yield(told.count, told.unit)
    if told is None or not told.whole:
        return None
    number, noun = told.whole.split(" ", 1)
    return Yield(int(number), singular(noun))


def _known(text: str, pantry: Pantry) -> Known:
    """Return what the pantry says of a statement; a long one is no ingredient line."""
    if len(text) > LONGEST_LINE:
        return Known(False, False, False, False, False)
    statement = split_line(text)[0] if len(text) < 160 else text
    parsed = parse_line(statement)
    amount = parsed.sums[0] if parsed.sums else None
    name = parsed.name
    has_food, food = False, ""
    if name and len(name.split()) <= 9 and _LETTERS.search(name):
        candidates = name_index(pantry).match(name, parsed.preparation)
        has_food = bool(candidates) and candidates[0].confidence >= KNOWN
        food = candidates[0].ingredient if has_food and name_index(pantry).is_name(name) else ""
    return Known(
        has_food=has_food,
        has_amount=amount is not None,
        has_unit=amount is not None and amount.unit is not None,
        is_behind=amount is not None and read_amount(statement) is None,
        is_only_amount=amount is not None and not _LETTERS.search(name) and not parsed.preparation,
        food=food,
    )


# How well a name must fit for its line to be taken for a food's, before anything is weighed.
KNOWN = 0.6


def _finish(draft: Draft, pantry: Pantry, cup: CupStandard) -> ReadLine:
    piece, parsed = draft.piece, draft.parsed
    if parsed is None:
        told: LineStatus = "heading" if piece.role == "heading" else "unreadable" if draft.problem else "note"
        return ReadLine(piece.text, piece.component, told, problem=draft.problem, role=piece.role, line=piece.number)
    first: Amount | None = parsed.sums[0] if parsed.sums else None
    low, high, unit = _in_contract_unit(first)
    base = ReadLine(
        piece.text,
        piece.component,
        "ok",
        quantity_low=low,
        quantity_high=high,
        unit=unit,
        size=first.size if first else "",
        name=parsed.name,
        preparation=parsed.preparation,
        is_optional=parsed.is_optional,
        alternatives=parsed.alternatives,
        line=piece.number,
    )
    # What is taken off again ("minus 2 tbsp") is negative, and never first.
    amounts = (*parsed.sums[:1], *(a for a in parsed.sums[1:] if a.low > 0), *parsed.also)
    absurd = next((a for a in amounts if is_absurd(a)), None)
    if absurd is not None:
        return replace(
            base,
            status="ask",
            quantity_low=None,
            quantity_high=None,
            ingredient=draft.ingredient.key if draft.ingredient else None,
            food=draft.ingredient.name if draft.ingredient else "",
            candidates=tuple(draft.candidates),
            problem=f"“{absurd.text}” is no amount for a kitchen",
        )
    if draft.ingredient is None or not _LETTERS.search(parsed.name + (first.text if first else "")):
        if parsed.sums and _LETTERS.search(parsed.name):
            return replace(base, status="ask", problem="no such food in the pantry")
        is_aside = not parsed.sums and re.fullmatch(r"\s*\(.*\)\s*", piece.text)
        return replace(base, status="note" if is_aside else "unreadable", problem="no food found in this line")
    line = _weighed(base, draft, parsed, draft.ingredient, pantry, cup)
    if draft.is_mention and line.status == "ok":
        return replace(
            line,
            status="ask",
            problem="named only in the method: does it go in?",
            candidates=tuple(_at(c, line.grams, pantry) for c in draft.candidates[:1]),
        )
    return line


def _own_cup(parsed: ParsedLine, cup: CupStandard) -> CupStandard:
    """Return the cup of the country that a line itself names ("1 pint cream (US)"), else the recipe's."""
    if _AMERICAN.search(parsed.text):
        return cup_standard("us")
    return cup_standard("metric") if _BRITISH.search(parsed.text) else cup


_AMERICAN = re.compile(r"\bUS\b|\bAmerican\b|\b[Hh]alf[- ]and[- ][Hh]alf\b")
_BRITISH = re.compile(r"\bUK\b|\bBritish\b|\b[Ii]mperial\b")


def _weighed(
    base: ReadLine, draft: Draft, parsed: ParsedLine, ingredient: Ingredient, pantry: Pantry, cup: CupStandard
) -> ReadLine:
    """Return the line with its grams, or the question that stands before them."""
    first = parsed.sums[0] if parsed.sums else None
    cup = _own_cup(parsed, cup)
    is_some = first is not None and first.unit is None and first.text.lower() in ("a little", "some")
    weight = None if is_some else weigh(parsed, ingredient, cup)
    best = draft.candidates[0]
    status: LineStatus = "ok"
    problem = ""
    grams = weight.grams if weight else None
    if not parsed.sums and weight is None:
        if not _plausible_bare(parsed, draft):
            # What holds a number is asked about, however many its words.
            is_note = len(parsed.name.split()) > 3 and not re.search(r"\d", parsed.text)
            return replace(base, status="note" if is_note else "unreadable", problem="no food found in this line")
        grams, status, problem = _unmeasured(parsed, ingredient)
    elif is_some or (weight is None and first is not None and first.unit is None and first.text.lower() == "a"):
        grams, status, problem = _unmeasured(parsed, ingredient)
    elif weight is None:
        status, problem = "ask", f"no weight known for “{first.text if first else ''}” of {ingredient.name}"
    if not is_sure(draft.candidates):
        status, problem = "ask", problem or _doubt(parsed, draft)
    elif first is not None and first.unit == "spoon":
        status, problem = "ask", "which spoon? read as a tablespoon"
    if grams is not None and status == "ok" and is_too_strong(ingredient, grams):
        status, problem = "ask", f"{grams:.0f} g of {ingredient.name} is more than any dessert holds"
    if weight is not None and weight.conflict is not None:
        status, problem = "conflict", weight.conflict.fits
    candidates: tuple[Candidate, ...] = ()
    if status != "ok" or best.confidence < 0.93:
        candidates = tuple(
            _at(c, w.grams if (w := weigh(parsed, pantry[c.ingredient], cup)) else None, pantry)
            for c in draft.candidates
        )
    return replace(
        base,
        status=status,
        ingredient=ingredient.key,
        food=ingredient.name,
        confidence=best.confidence,
        grams=_rounded(grams),
        grams_low=_rounded(weight.low if weight else grams),
        grams_high=_rounded(weight.high if weight else grams),
        stated_grams=_rounded(weight.stated) if weight else None,
        candidates=candidates,
        conflict=weight.conflict if weight else None,
        problem=problem,
        changed=weight.changed if weight and weight.changed else _unripe(ingredient, pantry),
    )


# Less sugar than this in 100 g is not worth a word about ripeness [g] (judgement).
LESS_SWEET_G = 2.0


def _unripe(ingredient: Ingredient, pantry: Pantry) -> str:
    """Return by how much a fruit named unripe is less sweet than the ripe one that a bake takes, or nothing."""
    if ingredient.becomes not in pantry or not ingredient.has_role("puree"):
        return ""
    ripe = pantry[ingredient.becomes]
    mine, its = ingredient.per_100g.total_sugars_g, ripe.per_100g.total_sugars_g
    if its - mine < LESS_SWEET_G:
        return ""
    return f"{ingredient.name}: {mine:.0f} g of sugar in 100 g; {ripe.name} holds {its:.0f} g"


def _at(candidate: Candidate, grams: float | None, pantry: Pantry) -> Candidate:
    """Return a candidate with what the line weighs if it is that food, and the sugar in it [g]."""
    if grams is None:
        return candidate
    grams = _round(grams)
    return replace(
        candidate, grams=grams, total_sugars_g=pantry[candidate.ingredient].per_100g.total_sugars_g * grams / 100
    )


CONTRACT_UNITS = frozenset(
    {"g", "kg", "oz", "lb", "ml", "l", "tsp", "tbsp", "cup", "fl oz", "pint", "stick", "can", "piece", "pinch", "dash"}
    | {"handful", "slice", "clove", "sprig", "packet"}
)


def _in_contract_unit(amount: Amount | None) -> tuple[float | None, float | None, str | None]:
    """Return quantity and unit by the contract's list of units: rare volumes in ml, rare pieces as pieces."""
    if amount is None:
        return None, None, None
    if amount.unit is None or amount.unit in CONTRACT_UNITS:
        return amount.low, amount.high, amount.unit
    unit = units()[amount.unit]
    if unit.key == "spoon":
        return amount.low, amount.high, "tbsp"
    if unit.kind in ("volume", "mass") and unit.value is not None:
        return amount.low * unit.value, amount.high * unit.value, "ml" if unit.kind == "volume" else "g"
    return amount.low, amount.high, "pinch" if unit.key == "drop" else "piece"


def _plausible_bare(parsed: ParsedLine, draft: Draft) -> bool:
    words = len(parsed.name.split())
    return (draft.candidates[0].confidence >= 0.8 and words <= 5) or (
        draft.candidates[0].confidence >= 0.65 and words <= 2
    )


def _unmeasured(parsed: ParsedLine, ingredient: Ingredient) -> tuple[float | None, LineStatus, str]:
    """Return grams, status and question of a line without an amount ("salt", "icing sugar for dusting")."""
    # Coconut flavours a dessert by the spoon: what balls are rolled in is no pinch.
    is_trace = ingredient.has_role(*_TRACE_ROLES) and not ingredient.has_role("fibre")
    if is_trace and ingredient.per_100g.total_sugars_g < 20:
        # A dessert is dusted with a spoonful of cocoa, not with a pinch.
        measure = ingredient.measure("tsp" if ingredient.group == "chocolate" else "pinch")
        return (measure.grams if measure else 0.3), "ok", ""
    if ingredient.has_role("fat") and re.search(r"greas|tin|pan|dish|brush|fry|line|little|spray", parsed.text, re.I):
        return 5.0, "ok", ""
    if ingredient.key == "water":
        return None, "ask", "how much?"
    tablespoon = ingredient.measure("tbsp")
    guess = tablespoon.grams if tablespoon else None
    return guess, "ask", "how much? no amount is given"


def _doubt(parsed: ParsedLine, draft: Draft) -> str:
    if draft.candidates[0].confidence < 0.5:
        return f"is “{parsed.name}” one of these?"
    return f"which one is “{parsed.name}”?"


def _round(grams: float) -> float:
    return round(grams, 2 if grams < 10 else 1)


def _rounded(grams: float | None) -> float | None:
    return None if grams is None else _round(grams)
