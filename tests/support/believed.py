"""What a baker would never believe of a plan, found by other means than the engine's: each rule gives the sentences of what breaks it.

Common practice, no published source, but for the claims (EU 1924/2006, US 21 CFR 101.60).
"""

from __future__ import annotations

import random
from collections.abc import Iterator

from sun_crumb.core.balance import families
from sun_crumb.core.formula import Formula, FormulaLine
from sun_crumb.core.pantry import Ingredient, diets, shipped_pantry
from sun_crumb.core.reading import read_recipe
from sun_crumb.core.rework import Plan
from sun_crumb.core.wish import Goals, paths

PANTRY = shipped_pantry()
FOREIGN = frozenset(["wheat", "gluten", "milk", "egg", "treenut", "peanut", "soy", "sesame", "coconut", "sulphite", "lupin", "mustard", "celery", "fish", "crustacean", "mollusc", "animal", "meat"])  # fmt: skip
SWEET = ("sugar", "syrup", "paste", "puree", "bulk", "intense")
GUT = {"erythritol_g": 15, "xylitol_g": 10, "sorbitol_g": 10, "maltitol_g": 10, "inulin_g": 8, "allulose_g": 20}
DRINKS = frozenset({"milk", "water", "yoghurt", "kefir", "buttermilk"})
DRY = frozenset({"oat_flour", "almond_flour", "cornflour"})
FRUIT_MOST = {
    "butter_cake": 1 / 3,
    "oil_cake": 0.45,
    "quick_bread": 0.55,
    "custard": 0.3,
    "cookie": 0.3,
    "shortbread": 0.12,
}
SWEETENERS = (
    "date_paste", "banana", "applesauce", "honey", "maple_syrup", "coconut_sugar", "stevia_erythritol", "erythritol", "xylitol", "allulose", "stevia_extract", "inulin",
)  # fmt: skip


def wish(seed: int) -> Goals:
    """Return a random wish, as bakers have them."""
    chance = random.Random(seed)
    path = chance.choice(sorted(paths()))
    own = [key for key in SWEETENERS if paths()[path].allows(PANTRY[key])]
    return Goals(
        path=path,
        cut=round(chance.uniform(0.15, 1.0), 2),
        keep_sweet=chance.choice([None, None, None, 0.7, 0.85, 1.0]),
        diets=tuple(chance.sample(sorted(diets()), 1)) if chance.random() < 0.25 else (),
        cupboard=tuple(chance.sample(own, min(len(own), chance.randint(2, 5))))
        if own and chance.random() < 0.3
        else None,
        eaters=("small_child",) if chance.random() < 0.1 else (),
    )


def faults(original: Formula, goals: Goals, plan: Plan) -> list[str]:
    """Return what breaks a rule, in sentences; none where a baker would believe the plan."""
    found: list[str] = []
    for rule in (_foreign, _fights, _fruit, _words, _measured, _floors, _gut, _claims, _headline):
        found += [f"{rule.__name__}: {told}" for told in rule(original, goals, plan)]
    return found


def _kin(plan: Plan, component: str) -> tuple[str, ...]:
    key = next((b.family for b in plan.balance if b.component == component), "butter_cake")
    return families()[key].kin


def _new(plan: Plan, component: str) -> list[Ingredient]:
    return [
        PANTRY[line.ingredient]
        for line in plan.lines
        if line.component == component and line.position is None and line.after_g > 0 and not line.is_locked
    ]


def _lines(formula: Formula, component: str) -> list[FormulaLine]:
    return [line for line in formula.lines if line.component == component]


def _foreign(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    own = frozenset().union(*(line.ingredient.tags for line in original.lines))
    own |= {"gluten"} if "wheat" in own else set()  # who eats wheat eats gluten
    for component in original.components:
        kin = _kin(plan, component)
        is_dark = any(
            line.grams > 0.03 * original.only(component).mass_g
            and ("dark" in line.ingredient.traits or line.ingredient.has_role("chocolate"))
            for line in _lines(original, component)
        )
        named = {*(goals.cupboard or ()), *goals.including}
        for food in _new(plan, component):
            stands_in = any(
                line.ingredient.tags & goals.excluded for line in _lines(original, component)
            )  # what a diet rules out has its own stand-ins
            if food.tags & goals.excluded:
                yield f"{food.key} for {goals.diets or goals.eaters}"
            if not food.has_role(*SWEET) and not stands_in and food.tags & FOREIGN - own:
                yield f"{food.key} brings {sorted(food.tags & FOREIGN - own)} into {component or 'the base'}"
            if "raw" in food.tags and {"unheated", "unheated_starch"} & families()[kin[0]].traits and not stands_in:
                yield f"raw {food.key} into {kin[0]}"
            if food.key in ("lemon_juice", "cider_vinegar") and {"caramel", "cookie", "shortbread"} & set(kin):
                yield f"{food.key} into {kin[0]}"
            if food.key in ("milk_powder", "whey_protein") and {"frosting", "sauce", "sorbet"} & set(kin):
                yield f"{food.key} into {kin[0]}"
            pale = "pale" in families()[kin[0]].traits
            is_brown = "dark" in food.traits or food.has_role("paste")
            if pale and is_brown and not is_dark and food.key not in named and not stands_in:
                yield f"{food.key} into {kin[0]}, which is pale"


def _fights(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    for component in original.components:
        mine = [line for line in plan.lines if line.component == component and not line.is_locked]
        stood_in = any(line.ingredient.tags & goals.excluded for line in _lines(original, component))
        new = {food.key for food in _new(plan, component)}
        swapped = {line.ingredient for line in mine if "instead of" in line.reason or "darker chocolate" in line.reason}
        new -= swapped
        adjusters = {key for key in new if not PANTRY[key].has_role(*SWEET)} - set(goals.including)
        moved = {
            PANTRY[line.ingredient]: line.after_g - line.before_g
            for line in mine
            if line.position is not None and line.before_g > 0
        }
        down = {role for food, by in moved.items() if by < -0.5 for role in food.roles}
        up = {role for food, by in moved.items() if by > 0.5 for role in food.roles}
        if stood_in:
            continue
        if len(adjusters) > 3:
            yield f"{sorted(adjusters)} in {component or 'the base'}"
        if "milk_powder" in new and ("liquid" in up or new & DRINKS):
            yield "milk and milk powder"
        if len(new & DRINKS) > 1:
            yield f"{sorted(new & DRINKS)} together"
        if (
            new & DRY
            and "flour" in down
            and any(by < -0.5 and f.has_role("flour") and not f.has_role("chocolate") for f, by in moved.items())
        ):
            yield f"flour out, {sorted(new & DRY)} in"
        if "almond_butter" in new and any(by < -0.5 and f.has_role("fat") for f, by in moved.items()):
            yield "fat out, nut butter in"
        liquids = [
            by
            for food, by in moved.items()
            if food.has_role("liquid") and food.group != "egg" and not food.has_role("sugar")
        ]
        if any(by > 1.5 for by in liquids) and any(by < -1.5 for by in liquids):
            yield "one liquid up, another down"


def _fruit(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    for component in original.components:
        kin = _kin(plan, component)
        most = next((FRUIT_MOST[key] for key in kin if key in FRUIT_MOST), None)
        if most is None or kin[0] in (
            "vegetable_brownie",
            "set_cream",
            "mousse",
            "fruit",
            "sauce",
            "bun_filling",
            "bar",
        ):
            continue
        shares = []
        for formula in (original, plan.after):
            lines = _lines(formula, component)
            fruit = sum(
                line.grams for line in lines if line.ingredient.has_role("puree", "paste") and not line.is_inclusion
            )
            shares.append(fruit / max(sum(line.grams for line in lines), 1.0))
        # What is built on fruit, as a pumpkin pie, may hold more of it where the rest of it shrinks.
        if shares[1] > max(most, shares[0] * (1.2 if shares[0] > most else 1.05)) + 0.01:
            yield f"{100 * shares[1]:.0f} % purée and paste in a {kin[0]} ({100 * shares[0]:.0f} % before)"


def _words(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    for balance in plan.balance:
        before, after = (_water(_lines(formula, balance.component)) for formula in (original, plan.after))
        for verdict in balance.verdicts:
            if verdict.key == "liquid" and "drier" in verdict.words and after > before + 0.5:
                yield f"“{verdict.words}”, with {after:.0f} g of water in 100 g after {before:.0f}"
            if (
                verdict.key == "liquid"
                and "wetter" in verdict.words
                and after < before - 0.5
                and balance.family not in ("cookie", "bar")
            ):
                yield f"“{verdict.words}”, with {after:.0f} g of water in 100 g after {before:.0f}"


def _water(lines: list[FormulaLine]) -> float:
    lines = [line for line in lines if not line.is_inclusion]
    mass = sum(line.grams for line in lines)
    return sum(line.ingredient.per_100g.water_g * line.grams for line in lines) / mass if mass else 0.0


def _measured(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    changed = [
        line
        for line in plan.lines
        if abs(line.after_g - line.before_g) > 1e-9 and line.after_g > 0 and not line.is_locked
    ]
    for line in changed:
        if line.household == "a pinch":
            continue
        read = read_recipe(f"A bake\nIngredients\n{line.household} {line.name}", PANTRY, "us").lines
        found = [x for x in read if x.grams and x.ingredient == line.ingredient]
        if found and abs(found[0].grams / line.after_g - 1) > 0.02 and abs(found[0].grams - line.after_g) > 0.5:
            yield f"“{line.household} {line.name}” reads as {found[0].grams:.1f} g, not {line.after_g:.1f}"


def _floors(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    for balance in plan.balance:
        before, after = _lines(original, balance.component), _lines(plan.after, balance.component)
        yield from _crystal_kept(balance.family, before, after, goals, plan)
        yield from _dissolved(balance.family, before, after, " ".join(plan.advice))
        if plan.status != "balanced":
            continue
        for verdict in balance.verdicts:
            reach = verdict.deviation / (verdict.band[1] if verdict.deviation > 0 else verdict.band[0])
            if verdict.key not in ("browning", "sweetness") and abs(reach) > 1.01:
                yield f"balanced, with {verdict.key} {reach:+.1f} bands off"


def _crystal_kept(
    key: str, before: list[FormulaLine], after: list[FormulaLine], goals: Goals, plan: Plan
) -> Iterator[str]:
    family = families()[key]
    if not family.crystal_floor or goals.locks:
        return
    old, new = (_crystal(lines, family.crystal_kind, family.stand_ins) for lines in (before, after))
    if old <= 5 or new >= 0.98 * family.crystal_floor * old:
        return
    is_ruled_out = any(x.ingredient.tags & goals.excluded for x in before if x.ingredient.has_role("sugar", "syrup"))
    if not is_ruled_out or plan.status == "balanced":
        # What a diet takes out is gone, and the plan has to say that it fails.
        yield f"{100 * new / old:.0f} % of the crystal sugar in a {key}, {100 * family.crystal_floor:.0f} at least"


def _dissolved(key: str, before: list[FormulaLine], after: list[FormulaLine], advice: str) -> Iterator[str]:
    """Erythritol dissolves, or is ground where sugar is too and the baker is told so; a dry coat stays crystals."""

    def held(lines: list[FormulaLine], name: str) -> float:
        return sum(getattr(line.ingredient.per_100g, name) * line.grams for line in lines) / 100

    erythritol, water = held(after, "erythritol_g"), held(after, "water_g")
    most = max(1.02 * 0.55 * water + 1, 5 + held(before, "erythritol_g"))
    if erythritol <= most:
        return
    sugars = [x for x in before if x.ingredient.has_role("sugar")]
    is_icing = 2 * sum(x.grams for x in sugars if "icing" in x.ingredient.name) > sum(x.grams for x in sugars)
    if not is_icing and "ground" not in families()[key].traits:
        yield f"{erythritol:.0f} g of erythritol in {water:.0f} g of water"
    fine = sum(x.grams for x in after if x.ingredient.key == "powdered_erythritol")
    is_coat = water < 0.03 * sum(x.grams for x in after) and not is_icing
    if erythritol - fine > most and not is_coat and "rind the erythritol" not in advice:
        yield f"{erythritol:.0f} g of erythritol in {water:.0f} g of water, and nobody is told to grind it"


def _crystal(lines: list[FormulaLine], kind: str, stand_ins: tuple[str, ...]) -> float:
    whole = 0.0
    for line in lines:
        c = line.ingredient.per_100g
        if line.ingredient.key in stand_ins:
            whole += (c.maltitol_g + c.allulose_g) * line.grams / 100
        elif (
            line.ingredient.has_role("sugar")
            and not line.ingredient.has_role("syrup")
            and (kind != "white" or line.ingredient.group == "refined")
        ):
            whole += c.sucrose_g * line.grams / 100
    return whole


def _gut(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    before, after = (
        sum(
            getattr(line.ingredient.per_100g, name) * line.grams / 100 / most
            for line in formula.lines
            for name, most in GUT.items()
        )
        / formula.servings
        for formula in (original, plan.after)
    )
    share = len(goals.eaters)
    if after > max(1.01, 1.01 * before) and not goals.including:
        yield f"{after:.2f} times what a sitting bears ({share})"


def _claims(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    there = {}
    for line in original.lines:
        there[line.ingredient.key] = there.get(line.ingredient.key, 0.0) + line.grams
    grown = [
        line.ingredient.key
        for line in plan.after.lines
        if line.ingredient.per_100g.total_sugars_g > 8
        and line.ingredient.has_role("fruit", "paste", "puree", "juice", "sugar", "syrup", "nut", "dairy")
        and sum(x.grams for x in plan.after.lines if x.ingredient.key == line.ingredient.key)
        > there.get(line.ingredient.key, 0.0) + 1
    ]
    for claim in plan.claims:
        if "no added sugar" in claim.name.lower() and claim.is_allowed and grown:
            yield f"“{claim.name}” with {grown}"


def _headline(original: Formula, goals: Goals, plan: Plan) -> Iterator[str]:
    servings = plan.after.servings
    after = plan.totals_after
    if "No refined sugar" in plan.words and after.refined_sugar_g / servings > 0.3:
        yield f"“No refined sugar” over {after.refined_sugar_g / servings:.1f} g"
    sweet = (
        after.sucrose_equivalent_g
        / after.mass_g
        / (plan.totals_before.sucrose_equivalent_g / plan.totals_before.mass_g)
    )
    if sweet < 0.85 and "as sweet" not in plan.words:
        yield f"nothing said of {100 * sweet:.0f} % of the sweetness"
    if (
        plan.status == "balanced"
        and goals.keep_sweet is not None
        and sweet > 1.34 * goals.keep_sweet
        and len(plan.balance) == 1
    ):
        yield f"balanced, {100 * sweet:.0f} % as sweet where {100 * goals.keep_sweet:.0f} was asked"
    used = {line.ingredient.key for line in plan.after.lines if line.grams > 0}
    told = " ".join(plan.advice).lower()
    for key in goals.cupboard or ():
        if key not in used and PANTRY[key].name.lower() not in told:
            yield f"{key} is not used, and nothing says why"
