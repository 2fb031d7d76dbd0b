"""The trade's rules beside the computed amounts, and the cautions that go with a recipe."""

from __future__ import annotations

from collections.abc import Collection, Iterable
from dataclasses import dataclass
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.formula import Formula
from sun_crumb.core.formula.recipe import PORTION_GUESS_G
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
            intense = intense_equivalent(c.sweet_glycosides_g * rule_g / 100, batter_g)
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


# From this part of the mass on a pack in the EU must warn of its sugar alcohols (Regulation 1169/2011, Annex III).
POLYOL_LABEL = 0.1


def _polyols(formula: Formula) -> float:
    return sum(x.ingredient.per_100g.polyols_g * x.grams for x in formula.lines) / 100


def _sitting(formula: Formula) -> str:
    """Return what a portion holds of all that the gut minds, where together it passes a sitting's limit; else nothing."""
    held = [
        (sum(one.held_per_gram(x.ingredient.per_100g) * x.grams for x in formula.lines) / formula.helpings, one)
        for one in sittings()
    ]
    together = sum(grams / one.most_g for grams, one in held)
    if together <= 1 + SITTING_SLACK:
        return ""
    there = sorted(
        (pair for pair in held if pair[0] > 0.05 * pair[1].most_g), key=lambda pair: -pair[0] / pair[1].most_g
    )
    told = " and ".join(f"{grams:.0f} g of {one.name} (limit {one.most_g:.0f} g)" for grams, one in there)
    both = "together " if len(there) > 1 else ""
    portion = "A portion" if formula.helpings == formula.servings else f"A slice of {PORTION_GUESS_G:.0f} g"
    return f"{portion} holds {told}, {both}{together:.1f} times what a sitting bears: {there[0][1].words}."


def _stays_raw(formula: Formula, kinds: Iterable[Family]) -> bool:
    """Return whether what must not be eaten raw goes into a recipe of which no part is baked."""
    is_baked = formula.oven is not None or any(kind.is_baked for kind in kinds)
    return not is_baked and any("raw" in line.ingredient.tags for line in formula.lines if line.grams > 0)


# What a spoon may pass it by.
SITTING_SLACK = 0.01


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
    if told := _sitting(formula):
        found.insert(0, told)
    if formula.lines and _polyols(formula) > POLYOL_LABEL * formula.mass_g:
        found.append(rows["polyol_label"]["words"])
    if any(line.ingredient.per_100g.allulose_g > 10 and line.ingredient.key in added for line in formula.lines):
        found.append(rows["allulose_law"]["words"])
    if any(
        line.ingredient.sugar_kind in ("unrefined", "concentrate") and line.ingredient.key in added
        for line in formula.lines
    ):
        found.insert(0, rows["syrup_claim"]["words"])
    kinds = list(kinds)
    found += [
        row["words"]
        for row in rows.values()
        if any(kind.is_among(row["families"].split()) for kind in kinds)
        and (row["key"] != "raw_no_bake" or _stays_raw(formula, kinds))
    ]
    if added:
        found.append(rows["keeping"]["words"])
    found.append(rows["diabetes"]["words"])
    return found
