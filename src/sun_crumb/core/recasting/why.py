"""Why a line changes when a component is made on another base, from the amounts and what the foods hold."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from sun_crumb.core.formula.recipe import FormulaLine
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.recasting.bases import Base
from sun_crumb.core.recasting.component import Begin
from sun_crumb.core.recasting.groups import group_of, is_sour

# What a share of another's water-holding is called, up to so much of it.
_SHARES = ((0.4, "a third"), (0.58, "half"), (0.72, "two thirds"), (0.9, "four fifths"))
_AS_MUCH = 1.12


def changed_why(old: Sequence[FormulaLine], begun: Begin, base: Base | None) -> list[str]:
    """Return why each line that a component begins with is as it is; empty where it is as it was."""
    return [_why(old, begun, n, base) for n in range(len(begun.lines))]


def _why(old: Sequence[FormulaLine], begun: Begin, n: int, base: Base | None) -> str:
    line, origin = begun.lines[n].line, begun.lines[n].origin
    was = old[origin].grams if origin is not None else 0.0
    if abs(line.grams - was) < 1e-9:
        return ""
    group = group_of(line.ingredient)
    if group == "body":
        return _body_why(old, begun, line, base)
    if origin is None and group not in ("lift", "egg") and not is_sour(line.ingredient):
        if base and "{" not in base.because and group in base.stands_on:
            return base.because
        if instead := _in_place_of(old, begun, group):
            return instead
    more = line.grams > was
    return _GROUP_WHY[group](old, begun, line, more=more)


def _in_place_of(old: Sequence[FormulaLine], begun: Begin, group: str) -> str:
    """Return which foods of the same group a new one takes the place of, in words; empty where none went."""
    gone = [old[n] for n in begun.gone if group_of(old[n].ingredient) == group]
    names = dict.fromkeys(x.ingredient.name.lower() for x in sorted(gone, key=lambda x: -x.grams)[:2])
    return f"in place of the {' and '.join(names)}" if names else ""


def _body_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, base: Base | None) -> str:
    gone = [old[n] for n in begun.gone if group_of(old[n].ingredient) == "body"]
    if base is None or line.ingredient.has_role("binder"):
        return "it binds what gluten bound" if line.ingredient.has_role("binder") else "as this kind of batter has it"
    return _because(base, gone, line)


def _because(base: Base, gone: Sequence[FormulaLine], line: FormulaLine) -> str:
    """Return why a base changes amounts, in the words of bases.csv with this recipe's own figures."""
    if "{" not in base.because:
        return base.beside or base.because
    flours = [x for x in gone if x.ingredient.has_role("flour", "starch")]
    main = max(flours, key=lambda x: x.grams, default=None)
    if main is None:
        return f"it stands on {base.name} now"
    old, new = main.ingredient.per_100g.water_holding_g_per_g, line.ingredient.per_100g.water_holding_g_per_g
    return base.because.format(water=_water(new / old if old else 1.0, main.ingredient.name.lower()))


def _water(ratio: float, was: str) -> str:
    """Return how much water something holds beside another food.

    Examples
    --------
    >>> _water(0.35, "plain flour"), _water(1.0, "plain flour"), _water(1.6, "plain flour")
    ('a third of the water that plain flour does', 'as much water as plain flour', '1.6 times the water that plain flour does')
    """
    does = "do" if was.endswith("s") else "does"
    for most, words in _SHARES:
        if ratio <= most:
            return f"{words} of the water that {was} {does}"
    return f"as much water as {was}" if ratio <= _AS_MUCH else f"{ratio:.1f} times the water that {was} {does}"


def _wet_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, *, more: bool) -> str:
    if is_sour(line.ingredient):
        return "sour enough for the soda"
    before, after = _held(old), _held(x.line for x in begun.lines)
    told = f"the dry parts take up {grams_text(after)} of water, before {grams_text(before)}"
    if more:
        if after > before:
            return f"more to wet: {told}"
        brought = (_water_in(begun, "egg"), _water_in_old(old, "egg"))
        return "it wets in place of the eggs" if brought[0] < brought[1] else "this base wants more liquid"
    return f"less to hold it: {told}" if after < before else _brought(old, begun)


def _brought(old: Sequence[FormulaLine], begun: Begin) -> str:
    """Return what brings the water now that a liquid brought, the group that brings most more than before."""
    more = {
        group: _water_in(begun, group) - _water_in_old(old, group)
        for group in ("fruit", "egg", "body", "cheese", "sweet")
    }
    group, grams = max(more.items(), key=lambda pair: pair[1])
    if grams < TOLD_WATER_G:
        return "this base wants less liquid"
    foods = [x.line for x in begun.lines if group_of(x.line.ingredient) == group]
    most = max(foods, key=lambda x: x.grams * x.ingredient.per_100g.water_g)
    return f"the {most.ingredient.name.lower()} brings {grams_text(grams)} more water"


# Less water than this is no reason [g].
TOLD_WATER_G = 5.0


def _water_in(begun: Begin, group: str) -> float:
    return _water_in_old([x.line for x in begun.lines], group)


def _water_in_old(lines: Iterable[FormulaLine], group: str) -> float:
    return sum(x.grams * x.ingredient.per_100g.water_g / 100 for x in lines if group_of(x.ingredient) == group)


def _fat_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, *, more: bool) -> str:
    was = sum(x.grams for x in old if x.ingredient.key == line.ingredient.key)
    brought = _fat_besides(x.line for x in begun.lines) - _fat_besides(old)
    if not more and brought > HALF * (was - line.grams):
        return f"what it stands on brings {grams_text(brought)} more fat itself"
    return f"this base wants {'more' if more else 'less'} fat to be as rich as yours was"


# What is brought must be this part of what goes, to be its reason.
HALF = 0.5


def _fat_besides(lines: Iterable[FormulaLine]) -> float:
    """Return the fat of what is no fat itself [g]."""
    return sum(x.grams * x.ingredient.per_100g.fat_g / 100 for x in lines if group_of(x.ingredient) != "fat")


def _egg_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, *, more: bool) -> str:
    if more:
        return "to bind: there is no gluten to do it" if _has_no_gluten(begun) else "to bind and lift"
    return "less is needed to bind"


def _lift_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, *, more: bool) -> str:
    if line.ingredient.has_role("acid"):
        return "sour enough for the soda"
    if more and (
        flour := next((x for x in old if x.ingredient.has_role("flour") and x.ingredient.has_role("leaven")), None)
    ):
        return f"the {flour.ingredient.name.lower()} brought its own"
    if not any(group_of(x.ingredient) == "lift" and x.ingredient.key == line.ingredient.key for x in old):
        others = [
            x.line.ingredient.name.lower()
            for x in begun.lines
            if group_of(x.line.ingredient) == "lift" and x.line is not line
        ]
        return f"lifts, with {others[0]}" if others else "lifts the batter"
    return "a heavier batter to lift" if more else "less to lift"


def _sweet_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, *, more: bool) -> str:
    return "this base wants more of it" if more else "this base needs less of it"


def _fruit_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, *, more: bool) -> str:
    fruit = sum(x.line.grams for x in begun.lines if group_of(x.line.ingredient) == "fruit" and not x.line.is_inclusion)
    if more and line.grams < 0.3 * fruit:
        return "it sweetens too"
    water = line.grams * line.ingredient.per_100g.water_g / 100
    return (
        f"it is the body, and brings {grams_text(water)} of water"
        if more
        else "as much as this batter bakes through with"
    )


def _other_why(old: Sequence[FormulaLine], begun: Begin, line: FormulaLine, *, more: bool) -> str:
    return "as this base has it"


_GROUP_WHY = {
    "wet": _wet_why, "fat": _fat_why, "egg": _egg_why, "lift": _lift_why, "sweet": _sweet_why, "fruit": _fruit_why, "cheese": _other_why,
    "chocolate": _other_why, "flavour": _other_why,
}  # fmt: skip


def gone_why(old: Sequence[FormulaLine], begun: Begin, base: Base | None) -> dict[int, str]:
    """Return why each of the old lines that is gone has gone, by its index."""
    body = [x.line for x in begun.lines if group_of(x.line.ingredient) == "body" and not x.line.is_inclusion]
    body = [x for x in body if all(x.ingredient.key != y.ingredient.key or x.grams > y.grams for y in old)]
    names = " and ".join(dict.fromkeys(x.ingredient.name.lower() for x in body[:2])) or (base.name if base else "")
    found = {}
    for n in begun.gone:
        match group_of(old[n].ingredient):
            case "body":
                found[n] = f"{names} in its place" if names else "this base has none"
            case "wet":
                found[n] = _wet_why(old, begun, old[n].at(0.0), more=False)
            case "fat":
                brought = sum(x.line.grams * x.line.ingredient.per_100g.fat_g / 100 for x in begun.lines)
                found[n] = f"the rest brings {grams_text(brought)} of fat"
            case "lift":
                there = [x.line.ingredient.name.lower() for x in begun.lines if group_of(x.line.ingredient) == "lift"]
                found[n] = f"{there[0]} lifts instead" if there else "this base does not rise"
            case "egg":
                found[n] = base.because if base and base.without == "egg" else "this base needs none to bind"
            case "sweet":
                found[n] = (
                    f"sweetened by {_sweeteners(begun)} instead" if _sweeteners(begun) else "this base needs none"
                )
            case _:
                found[n] = "this base has none"
    return found


def _sweeteners(begun: Begin) -> str:
    found = [x.line for x in begun.lines if group_of(x.line.ingredient) in ("sweet", "fruit")]
    return " and ".join(dict.fromkeys(x.ingredient.name.lower() for x in sorted(found, key=lambda x: -x.grams)[:2]))


def _held(lines: Iterable[FormulaLine]) -> float:
    return sum(x.grams * x.ingredient.per_100g.water_holding_g_per_g for x in lines if not x.is_inclusion)


def _has_no_gluten(begun: Begin) -> bool:
    return not any({"gluten", "wheat"} & x.line.ingredient.tags for x in begun.lines)
