"""A sentence for every change, made from its own numbers."""

from __future__ import annotations

from dataclasses import replace

from sun_crumb.core.balance import Gauge
from sun_crumb.core.formula import FormulaLine
from sun_crumb.core.offers.addition import Addition
from sun_crumb.core.offers.moves import FOAM_LEAST, counted_per_gram, holds_a_foam, is_cuttable
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.solving.penalty import penalty
from sun_crumb.core.solving.problem import Problem
from sun_crumb.core.sugars.sweetness import linear_sweetness
from sun_crumb.core.wish.goals import DEFINITIONS

# Below this share of the batter a line does not move for the tin's sake.
TOLD_MASS = 0.02


def reason(problem: Problem, position: int, grams: list[float]) -> str:
    """Return why the amount at *position* changed: what would be off if it were put back as it was."""
    row = problem.rows[position]
    line, was, addition = row.line.at(grams[position]), row.original_g, row.addition
    if addition is None and is_cuttable(row.line, problem.goals.counted):
        return _cut_reason(problem, line, was)
    if addition is not None and addition.kind == "stand_in":
        return _stand_in_reason(problem, addition, position, grams)
    if row.seasoning:
        return row.seasoning
    if addition is not None and addition.set_g is not None:
        return f"set by you{f': {_sweetener_reason(problem, position, grams)}' if addition.is_sweetener else ''}"
    asked = addition is not None and line.ingredient.key in problem.goals.including
    if row.is_new_sweetener:
        told = _sweetener_reason(problem, position, grams)
        return f"put in, as you asked: {told}" if asked else told
    if asked:
        return "put in, as you asked"
    for n, other in enumerate(problem.rows):
        if other.addition and other.addition.kind == "swap" and position in (other.addition.replaces, n):
            return _swap_reason(problem, other.addition, grams[n])
    return _adjuster_reason(problem, position, grams, was)


def _stand_in_reason(problem: Problem, addition: Addition, position: int, grams: list[float]) -> str:
    assert addition.replaces is not None
    gone = problem.formula.lines[addition.replaces].ingredient.name.lower()
    told = f"in place of {gone}: {addition.words}"
    if addition.set_g is not None:
        return f"set by you, {told}"
    if abs(grams[position] - addition.base_g) > 0.01 * addition.base_g:
        moved = grams[position] - addition.base_g
        told += f"; {grams_text(abs(moved))} {'more' if moved > 0 else 'less'}, as "
        told += _adjuster_reason(problem, position, grams, addition.base_g)
    return told


def _swap_reason(problem: Problem, addition: Addition, grams: float) -> str:
    assert addition.replaces is not None
    line = problem.formula.lines[addition.replaces]
    darker = counted_per_gram(replace(line, ingredient=addition.ingredient), problem.goals.counted)
    saved = (counted_per_gram(line, problem.goals.counted) - darker) * grams / problem.formula.servings
    what = DEFINITIONS[problem.goals.counted]
    return f"{addition.words}: {grams_text(saved)} less {what} in each {problem.formula.unit}, less sweet"


def _cut_reason(problem: Problem, line: FormulaLine, was: float) -> str:
    per_gram = counted_per_gram(line, problem.goals.counted)
    saved = (was - line.grams) * per_gram / problem.formula.servings
    what = DEFINITIONS[problem.goals.counted]
    text = f"the cut asked for: {grams_text(saved)} less {what} in each {problem.formula.unit}"
    floor = problem.family.crystal_floor
    if floor and 0 < line.grams <= was * floor * 1.15:
        text += f"; {100 * line.grams / was:.0f} % stays: {problem.family.stays}"
    elif line.grams >= FOAM_LEAST * was * 0.98 and holds_a_foam(line, problem.family):
        text += f"; {100 * line.grams / was:.0f} % stays: the foam stands on it"
    return text


def _sweetener_reason(problem: Problem, position: int, grams: list[float]) -> str:
    line = problem.rows[position].line.at(grams[position])
    c = line.ingredient.per_100g
    water = c.water_g * line.grams / 100
    if c.glycosides_g:
        with_it = problem.quantities_at(grams)["sweetness"]
        sweet = with_it - problem.quantities_at(_put_back(grams, position, 0.0))["sweetness"]
    else:
        sweet = linear_sweetness(c) * line.grams / 100
    parts = [f"as sweet as {grams_text(sweet)} of sugar"]
    if water >= 3:
        parts.append(f"brings {grams_text(water)} of water")
    if c.total_sugars_g > 5 and c.free_who_share == 0:
        parts.append("its sugar is the fruit's own")
    elif c.total_sugars_g > 5 and c.free_who_share > 0.5:
        parts.append(f"{grams_text(c.total_sugars_g * line.grams / 100)} of it is free sugar")
    elif c.polyols_g > 50 or c.allulose_g > 50:
        parts.append(f"fills {grams_text((c.polyols_g + c.allulose_g) * line.grams / 100)} of the bulk")
    return ", ".join(parts)


def _adjuster_reason(problem: Problem, position: int, grams: list[float], was: float) -> str:
    with_it = problem.quantities_at(grams)
    without = problem.quantities_at(_put_back(grams, position, was))
    gains: dict[str, tuple[float, Gauge]] = {}
    for gauge in problem.gauges:
        worse, now = (penalty(gauge, gauge.deviation(after), is_felt=True) for after in (without, with_it))
        if (better := gauge.metric.weight * (worse - now)) > 0:
            gains[gauge.metric.key] = better, gauge
    if not gains:
        return "rounding"
    # A line that sweetens nothing moves for the texture; that the rest tastes sweeter for it comes second.
    moved = grams[position] - was
    trifling = {"sweetness", "mass"} if abs(moved) < TOLD_MASS * with_it["mass"] else {"sweetness"}
    texture = {key: pair for key, pair in gains.items() if key not in trifling}
    ranked = [gauge for _, gauge in sorted((texture or gains).values(), key=lambda pair: -pair[0])]
    seen = (g for g in ranked if g.told(g.deviation(without)) != g.told(g.deviation(with_it)))
    worst = next(seen, ranked[0])
    key, name = worst.metric.key, worst.name.lower()
    was_off, now_off = worst.deviation(without), worst.deviation(with_it)
    tail = f"{name} would be {worst.told(was_off)} without this change, with it {worst.told(now_off)}"
    brought = sum(
        row.line.ingredient.per_100g.water_g * g / 100
        for row, g in zip(problem.rows, grams, strict=True)
        if row.is_new_sweetener
    )
    if key in ("liquid", "water", "mass") and moved < 0 < was_off and brought > 5:
        return f"the new sweetness brings {grams_text(brought)} of water; {tail}"
    return tail


def _put_back(grams: list[float], position: int, was: float) -> list[float]:
    return [*grams[:position], was, *grams[position + 1 :]]
