"""The trade's rules beside the computed amounts, and the cautions that go with a recipe."""

from __future__ import annotations

from collections.abc import Collection, Iterable
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.formula import Formula
from sun_crumb.core.pantry import Pantry
from sun_crumb.core.quantities.measures import cup_standard
from sun_crumb.core.reference import table
from sun_crumb.core.sugars.sittings import sittings
from sun_crumb.core.sugars.sweetness import intense_equivalent, linear_sweetness


@dataclass(frozen=True, slots=True)
class Rule:
    """A rule of thumb for one swap: cups that stand for one cup of sugar, and liquid to leave out [tbsp]."""

    ingredient: str
    cups_per_cup: float
    liquid_out_tbsp: tuple[float, float]
    text: str


@dataclass(frozen=True, slots=True)
class ByTheBook:
    """What the rule of thumb would take beside what the plan takes [g], and why they differ."""

    ingredient: str
    rule: str
    rule_g: float
    plan_g: float
    why: str


@cache
def rules() -> dict[str, Rule]:
    """Return the rules of thumb by sweetener (common practice, no published source)."""
    return {
        row["ingredient"]: Rule(
            row["ingredient"],
            float(row["cups_per_cup"]),
            (float(row["liquid_out_tbsp_low"]), float(row["liquid_out_tbsp_high"])),
            row["rule"],
        )
        for row in table("rules_of_thumb")
    }


def by_the_book(
    sugar_out_g: float, batter_g: float, new: dict[str, float], pantry: Pantry, is_set: Collection[str] = ()
) -> list[ByTheBook]:
    """Return the rule for each new sweetener against the plan, as if it alone replaced the sugar taken out.

    *is_set* holds those whose amount the baker has set.
    """
    found = []
    sugar_cup = pantry["white_sugar"].measure("cup")
    assert sugar_cup is not None
    for key, plan_g in new.items():
        rule = rules().get(key)
        cup = pantry[key].density_g_per_ml()
        if rule is None or cup is None or sugar_out_g <= 0:
            continue
        cup_g = cup * cup_standard("us").cup_ml
        rule_g = sugar_out_g / sugar_cup.grams * rule.cups_per_cup * cup_g
        c = pantry[key].per_100g
        if pantry[key].is_strong:
            why = "the strength of a pure extract levels off, so the plan goes by sweetness in the mouth"
        else:
            intense = intense_equivalent(c.glycosides_g * rule_g / 100, batter_g)
            sweet = (linear_sweetness(c) * rule_g / 100 + intense) / sugar_out_g
            why = f"the rule would bring {100 * sweet:.0f} % of the sweetness taken out"
            if key in is_set:
                why += "; this amount is yours"
            elif plan_g < 0.93 * rule_g:
                why += f"; the plan asks this one for only {100 * plan_g / rule_g:.0f} % of that"
            elif plan_g > 1.07 * rule_g:
                why += "; the plan takes more to stay as sweet as asked"
        found.append(ByTheBook(key, rule.text, round(rule_g, 1), round(plan_g, 1), why))
    return found


def cautions(formula: Formula, added: set[str], kinds: Iterable[Family] = ()) -> list[str]:
    """Return the cautions for a recipe: by amount, by ingredient, by the *kinds* of dessert it holds, then the general.

    *added* holds the keys that the plan brought in; their cautions come first.
    """
    tags: dict[str, bool] = {}
    for line in formula.lines:
        if line.grams > 0:
            for tag in line.ingredient.tags:
                tags[tag] = tags.get(tag, False) or line.ingredient.key in added
    rows = {row["key"]: row for row in table("cautions")}
    found = [
        row["words"]
        for row in sorted(rows.values(), key=lambda r: not tags.get(r["tag"], False))
        if row["tag"] and row["tag"] in tags
    ]
    for sitting in reversed(sittings()):
        held = sum(sitting.held_per_gram(x.ingredient.per_100g) * x.grams for x in formula.lines) / formula.servings
        if held > sitting.most_g:
            told = f"Over {sitting.most_g:.0f} g of {sitting.name} in a portion ({held:.0f} g): {sitting.words}."
            found.insert(0, told)
    if any(line.ingredient.per_100g.allulose_g > 10 and line.ingredient.key in added for line in formula.lines):
        found.append(rows["allulose_law"]["words"])
    if any(
        line.ingredient.sugar_kind in ("unrefined", "concentrate") and line.ingredient.key in added
        for line in formula.lines
    ):
        found.insert(0, rows["syrup_claim"]["words"])
    kinds = list(kinds)
    found += [row["words"] for row in rows.values() if any(kind.is_among(row["families"].split()) for kind in kinds)]
    if added:
        found.append(rows["keeping"]["words"])
    found.append(rows["diabetes"]["words"])
    return found
