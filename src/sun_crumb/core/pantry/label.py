"""An ingredient of the user's own from what its pack says; the rest is taken from something like it, and marked."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, fields, replace
from math import isfinite

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.pantry.ingredient import Composition, Ingredient, Measure

KJ_PER_KCAL = 4.184
SUGARS = ("sucrose_g", "glucose_g", "fructose_g", "lactose_g", "maltose_g", "galactose_g")
# Label rounding and specific factors leave this much between energy and parts (judgement; US law rounds to 10 kcal).
ENERGY_SLACK, ENERGY_SLACK_KCAL = 0.15, 15.0


@dataclass(frozen=True, slots=True)
class Label:
    """What a pack says, per *basis_g* grams (100 on an EU pack, the serving on a US one).

    On an EU label carbohydrate leaves the fibre out, on a US one it holds it. None means that the pack does not say.
    ``water_g`` is what no pack says and the worktop knows of what it made; ``cup_g`` is what a cup weighs; ``is_cup_like_sugar`` that a cup of it sweetens like a cup of sugar.
    """

    name: str
    law: str = "eu"
    basis_g: float = 100.0
    energy_kcal: float | None = None
    energy_kj: float | None = None
    fat_g: float | None = None
    carbohydrate_g: float | None = None
    sugars_g: float | None = None
    added_sugars_g: float | None = None
    polyols_g: float | None = None
    fibre_g: float | None = None
    protein_g: float | None = None
    salt_g: float | None = None
    water_g: float | None = None
    cup_g: float | None = None
    is_cup_like_sugar: bool = False


@dataclass(frozen=True, slots=True)
class FromLabel:
    """The ingredient, which of its figures are estimates, and what in the label contradicts itself."""

    ingredient: Ingredient
    estimated: tuple[str, ...]
    contradictions: tuple[str, ...]


def check(label: Label) -> None:
    """Raise OutOfDomainError, naming the field, where a figure can't be one."""
    require_choice(label.law, ("eu", "us"), "law")
    if not label.name.strip():
        raise OutOfDomainError("give the product a name", field="name")
    for field in fields(label):
        value = getattr(label, field.name)
        if not isinstance(value, float | int) or isinstance(value, bool):
            continue
        most = {"basis_g": 1000.0, "energy_kcal": 10 * label.basis_g, "energy_kj": 40 * label.basis_g, "cup_g": 600.0}
        top = most.get(field.name, label.basis_g)
        if not isfinite(value) or value < 0 or value > top * 1.001:
            raise OutOfDomainError(
                f"{field.name} of {value:g} can't be: it lies between 0 and {top:g}", field=field.name, value=value
            )
    if label.basis_g <= 0:
        raise OutOfDomainError("the serving must weigh something", field="basis_g")


def contradictions(label: Label) -> list[str]:
    """Return what on the pack can't all be true, in words."""
    scale = 100 / label.basis_g
    found = []
    carbohydrate = label.carbohydrate_g
    if (
        carbohydrate is not None
        and label.sugars_g is not None
        and label.sugars_g > carbohydrate + 0.05 * label.basis_g / 100
    ):
        found.append(f"sugars of {label.sugars_g:g} g are more than the carbohydrate of {carbohydrate:g} g")
    if label.added_sugars_g is not None and label.sugars_g is not None and label.added_sugars_g > label.sugars_g + 0.05:
        found.append(f"added sugars of {label.added_sugars_g:g} g are more than all sugars, {label.sugars_g:g} g")
    if carbohydrate is not None and label.polyols_g and (label.sugars_g or 0) + label.polyols_g > carbohydrate + 0.5:
        found.append("sugars and polyols together are more than the carbohydrate")
    if (
        label.law == "us"
        and carbohydrate is not None
        and label.fibre_g is not None
        and label.fibre_g > carbohydrate + 0.5
    ):
        found.append(f"fibre of {label.fibre_g:g} g is more than the total carbohydrate it is part of")
    parts = sum(v or 0 for v in (label.fat_g, carbohydrate, label.protein_g, label.salt_g))
    if label.law == "eu":
        parts += label.fibre_g or 0
    if parts * scale > 103:
        found.append(f"the parts add up to {parts * scale:.0f} g in 100 g")
    both = label.energy_kcal is not None and label.energy_kj is not None
    kilocalories = _kcal(label.energy_kj)
    if both and abs((kilocalories or 0) - (label.energy_kcal or 0)) > max(0.06 * (label.energy_kcal or 0), 3):
        found.append(f"{label.energy_kj:g} kJ are {kilocalories:.0f} kcal, not {label.energy_kcal:g}")
    stated = label.energy_kcal if label.energy_kcal is not None else _kcal(label.energy_kj)
    if stated is not None and carbohydrate is not None and label.fat_g is not None and label.protein_g is not None:
        low, high = _energy_range(label)
        slack = max(ENERGY_SLACK * stated, ENERGY_SLACK_KCAL / scale)
        if not low - slack <= stated <= high + slack:
            found.append(f"{stated:g} kcal do not fit the parts, which hold about {high:.0f} kcal")
    return found


def _kcal(kilojoules: float | None) -> float | None:
    return None if kilojoules is None else kilojoules / KJ_PER_KCAL


def _energy_range(label: Label) -> tuple[float, float]:
    """Return the least and most energy [kcal] of the stated parts by the laws' factors (EU 1169/2011 annex XIV)."""
    assert label.carbohydrate_g is not None and label.fat_g is not None and label.protein_g is not None
    fibre, polyols = label.fibre_g or 0.0, label.polyols_g or 0.0
    plain = label.carbohydrate_g - polyols - (fibre if label.law == "us" else 0.0)
    base = 9 * label.fat_g + 4 * label.protein_g + 4 * max(plain, 0.0)
    # Erythritol gives nothing, other polyols 2.4; fibre 0 to 2 kcal/g.
    return base, base + 2.4 * polyols + 2 * fibre


def _stated(label: Label, old: Composition) -> dict[str, float]:
    """Return what a label says of 100 g, by the names of a composition."""
    scale = 100 / label.basis_g
    stated: dict[str, float] = {}
    for field, name in (
        ("fat_g", "fat_g"),
        ("protein_g", "protein_g"),
        ("water_g", "water_g"),
        ("fibre_g", "fibre_g"),
        ("sugars_g", "total_sugars_g"),
    ):
        value = getattr(label, field)
        if value is not None:
            stated[name] = value * scale
    if label.carbohydrate_g is not None:
        fibre = label.fibre_g or 0.0
        stated["carbohydrate_g"] = (label.carbohydrate_g + (fibre if label.law == "eu" else 0.0)) * scale
    energy = label.energy_kcal if label.energy_kcal is not None else _kcal(label.energy_kj)
    if energy is not None:
        stated["energy_kcal"] = energy * scale
    if label.salt_g is not None:
        stated["ash_g"] = max(label.salt_g * scale, old.ash_g)
    return stated


def _with_sweetness(made: Composition, old: Composition, label: Label) -> Composition:
    """Return a composition with the sugar alcohols and added sugars of the label."""
    scale = 100 / label.basis_g
    if label.polyols_g is not None:
        kinds = ("erythritol_g", "xylitol_g", "sorbitol_g", "maltitol_g")
        shares = {k: getattr(old, k) / old.polyols_g for k in kinds} if old.polyols_g else {"maltitol_g": 1.0}
        made = replace(made, **{k: label.polyols_g * scale * shares.get(k, 0.0) for k in kinds})
    if label.added_sugars_g is None or made.total_sugars_g <= 0:
        return made
    share = min(label.added_sugars_g * scale / made.total_sugars_g, 1.0)
    return replace(
        made,
        added_us_share=share,
        free_who_share=share,
        free_uk_share=max(share, old.free_uk_share),
        refined_share=share if old.refined_share >= old.added_us_share else 0.0,
    )


def from_label(
    key: str, label: Label, like: Ingredient, glycosides_for: Callable[[Composition, float], float]
) -> FromLabel:
    """Return the ingredient that a *label* describes; what it does not say is taken from *like*.

    Parameters
    ----------
    glycosides_for
        Glycosides [g] that so many grams of a composition lack to be as sweet as a cup of sugar; used for "a cup like a
        cup of sugar". Sweetness builds on the pantry, so it is handed in.
    """
    check(label)
    old = like.per_100g
    stated = _stated(label, old)
    made = _with_sugars(replace(old, **stated), old, stated)
    made = _with_sweetness(made, old, label)
    if "water_g" not in stated and {"fat_g", "carbohydrate_g", "protein_g"} <= stated.keys():
        rest = 100 - made.fat_g - made.carbohydrate_g - made.protein_g - made.ash_g - made.alcohol_g
        made = replace(made, water_g=min(max(rest, 0.0), 100.0))
    measures = like.measures
    if label.cup_g:
        measures = (
            Measure("cup", "", label.cup_g, "label"),
            *(m for m in measures if m.unit not in ("cup", "tbsp", "tsp")),
        )
    new = replace(
        like,
        key=key,
        name=label.name.strip(),
        per_100g=made,
        measures=measures,
        source="label",
        locator=f"{label.law.upper()} label, the rest like {like.name}",
        by_hand="",
    )
    if label.is_cup_like_sugar:
        new = _as_sweet_as_sugar(new, glycosides_for)
    known = set(stated) | ({"polyols_g"} if label.polyols_g is not None else set())
    estimated = tuple(
        n
        for n in ("energy_kcal", "water_g", "fat_g", "carbohydrate_g", "fibre_g", "total_sugars_g", "protein_g")
        if n not in known
    )
    return FromLabel(new, estimated, tuple(contradictions(label)))


def _with_sugars(made: Composition, old: Composition, stated: dict[str, float]) -> Composition:
    """Split the stated total sugars by kind as in *old*, and refit the starch."""
    total = made.total_sugars_g
    known = sum(getattr(old, k) for k in SUGARS)
    split = (
        {k: getattr(old, k) / known * total for k in SUGARS}
        if known
        else dict.fromkeys(SUGARS, 0.0) | {"sucrose_g": total}
    )
    other = made.polyols_g + made.allulose_g + made.inulin_g + made.polydextrose_g + made.dextrin_g
    starch = made.carbohydrate_g - made.fibre_g - total - other if old.starch_g > 0 else 0.0
    return replace(made, **split, starch_g=max(starch, 0.0))


def _as_sweet_as_sugar(new: Ingredient, glycosides_for: Callable[[Composition, float], float]) -> Ingredient:
    """Give it so much glycoside that a cup in 850 g of batter sweetens like 200 g of sugar."""
    cup = new.measure("cup")
    if cup is None:
        raise OutOfDomainError("say what a cup of it weighs", field="cup_g")
    dose = glycosides_for(replace(new.per_100g, glycosides_g=0.0), cup.grams)
    return replace(new, per_100g=replace(new.per_100g, glycosides_g=min(dose / cup.grams * 100, 100.0)))
