"""What a plan's foods are made from at home: date paste from dates and water, a flax egg from seed and water."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from functools import cache

from sun_crumb.core.balance import Family
from sun_crumb.core.kitchen.preparations import Prepared, prepare
from sun_crumb.core.method.planned import PlannedLine, Preparation
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.reference import table

# More than this clings to a blender, however little is made [share of what goes in].
MOST_LOST = 0.1


@cache
def _made_of() -> dict[str, dict[str, str]]:
    return {row["ingredient"]: row for row in table("made_of")}


def made_from(food: Ingredient, grams: float, pantry: Pantry) -> tuple[tuple[str, float], ...]:
    """Return what so much of a food is made from, by pantry key and weight [g]; empty where it is bought as it is.

    Sugars and water are kept: so many dates as hold the paste's sugar, and the rest water; toasting drives water out.
    """
    row = _made_of().get(food.key)
    if row is not None and row["kind"] == "crumb":
        raw = pantry[row["food"]].per_100g.water_g
        return ((row["food"], grams * (100 - food.per_100g.water_g) / (100 - raw)),)
    if row is None or row["kind"] not in ("paste", "gel"):
        return ((row["food"], grams),) if row is not None and row["kind"] == "flour" else ()
    source = pantry[row["food"]]
    dry, made = source.per_100g, food.per_100g
    if row["kind"] == "paste":
        share = min(made.total_sugars_g / dry.total_sugars_g, 1.0) if dry.total_sugars_g else 1.0
    else:
        share = min((100 - made.water_g) / (100 - dry.water_g), 1.0)
    return (source.key, share * grams), ("water", (1 - share) * grams)


# Fruit is soaked in so much water at least [g] (judgement).
LEAST_SOAKED_G = 1.0


def preparations_for(
    plan: Iterable[PlannedLine], families: Mapping[str, Family], pantry: Pantry
) -> dict[tuple[str, str], Preparation]:
    """Return what must be made before a plan's foods go in, by component and pantry key; *families* are the components' kinds."""
    lines = [line for line in plan if line.grams > 0 and line.position is None]
    return {
        (line.component, line.ingredient.key): made
        for line in lines
        for made in _prepared(
            line, set(families[line.component].traits) if line.component in families else set(), pantry
        )
    }


def _prepared(line: PlannedLine, traits: set[str], pantry: Pantry) -> Iterator[Preparation]:
    row = _made_of().get(line.ingredient.key)
    if row is None or (row["traits"] and row["traits"] not in traits):
        return
    parts = made_from(line.ingredient, line.grams, pantry)
    if row["kind"] == "paste":
        (key, fruit), (_, water) = parts
        name = pantry[key].name.split(",")[0]
        soaked = f"soak {grams_text(fruit)} of stoned {name} in {grams_text(water)} of hot water for 15 minutes, then blend smooth with the water."
        dry = f"blitz {grams_text(fruit)} of stoned {name} to a ball that holds; pour boiling water over dry ones first, and drain them well after 5 minutes."
        words = f"For the {line.ingredient.name}: {soaked if water >= LEAST_SOAKED_G else dry} Weigh {grams_text(line.grams)}; make a spoonful more, since some clings to the blender."
        yield Preparation(line.ingredient.key, words, (6, 9), 15, tuple(k for k, _ in parts))
    elif row["kind"] == "crumb":
        ((key, raw),) = parts
        words = f"For the {line.ingredient.name}: toast {grams_text(raw)} of {pantry[key].name} 10 to 12 minutes at 170 °C until they smell of nuts, let them cool and blend them to fine crumbs."
        yield Preparation(line.ingredient.key, words, (6, 9), 20, tuple(k for k, _ in parts))
    elif row["kind"] == "gel":
        made = _of_gel(line, row["food"], parts, pantry)
        yield Preparation(line.ingredient.key, made.words, made.hands_on, made.wait_min, tuple(k for k, _ in parts))
    else:
        starch = {"starch": "0"} if row["kind"] == "grind" else {}
        made = prepare(row["kind"], {"food": row["food"], "grams": str(line.grams), **starch}, pantry)
        yield Preparation(line.ingredient.key, made.words, made.hands_on, made.wait_min, (row["food"],))


def _of_gel(line: PlannedLine, food: str, parts: tuple[tuple[str, float], ...], pantry: Pantry) -> Prepared:
    return prepare("gel", {"food": food, "grams": f"{parts[0][1]:.2f}", "water": f"{parts[1][1]:.2f}"}, pantry)
