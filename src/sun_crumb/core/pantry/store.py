"""The pantry as a whole: entries by key, names, diets."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, replace
from functools import cache

from sun_crumb.core.errors import UnknownIngredientError, require_choice
from sun_crumb.core.pantry.ingredient import COMPOSITION_FIELDS, Composition, Ingredient, Measure
from sun_crumb.core.reference import table


@dataclass(frozen=True, slots=True)
class Diet:
    """A way of eating, as the tags that it rules out."""

    key: str
    name: str
    excluded_tags: frozenset[str]


class Pantry:
    """Ingredients by key, the names they go by, and how far what tastings taught of their sweetness may be off (sd of the logarithm, by key)."""

    def __init__(
        self,
        ingredients: Iterable[Ingredient],
        names: Iterable[tuple[str, str]],
        learned_sds: Mapping[str, float] | None = None,
    ) -> None:
        self._by_key = {i.key: i for i in ingredients}
        self.learned_sds: Mapping[str, float] = dict(learned_sds or {})
        self.names = tuple((key, name) for key, name in names if key in self._by_key)

    def __getitem__(self, key: str) -> Ingredient:
        try:
            return self._by_key[key]
        except KeyError:
            raise UnknownIngredientError(f"the pantry holds no {key!r}", field="ingredient", ingredient=key) from None

    def __contains__(self, key: object) -> bool:
        return key in self._by_key

    def __iter__(self) -> Iterator[Ingredient]:
        return iter(self._by_key.values())

    def __len__(self) -> int:
        return len(self._by_key)

    def with_products(self, products: Iterable[tuple[Ingredient, tuple[str, ...]]]) -> Pantry:
        """Return a pantry that also holds the user's own *products*, each with the names it goes by."""
        products = list(products)
        own = [(i.key, name.lower()) for i, names in products for name in (i.name, *names)]
        taken = {name for _, name in own}
        return Pantry(
            [*self, *(i for i, _ in products)],
            [*(pair for pair in self.names if pair[1] not in taken), *own],
            self.learned_sds,
        )

    def with_sweetness(self, factors: Mapping[str, float], sds: Mapping[str, float] | None = None) -> Pantry:
        """Return a pantry whose foods are as sweet as one household has found them: *factors* of the model's sweetness by key, and their *sds*."""
        known = {k: f for k, f in factors.items() if k in self._by_key and f != 1.0}
        if not known and not sds:
            return self
        return Pantry(
            (
                replace(i, per_100g=replace(i.per_100g, sweetness_factor=known[i.key])) if i.key in known else i
                for i in self
            ),
            self.names,
            sds,
        )

    def names_of(self, key: str) -> list[str]:
        """Return the names an ingredient goes by, the shown one first."""
        return [name for k, name in self.names if k == key]


@cache
def diets() -> dict[str, Diet]:
    """Return the known diets by key."""
    return {
        row["key"]: Diet(row["key"], row["name"], frozenset(row["excluded_tags"].split())) for row in table("diets")
    }


def excluded_tags(keys: Iterable[str]) -> frozenset[str]:
    """Return every tag that these diets rule out; an unknown diet raises UnknownChoiceError."""
    return frozenset().union(*(diets()[require_choice(k, diets(), "diet")].excluded_tags for k in keys))


@cache
def shipped_pantry() -> Pantry:
    """Return the pantry that ships with the application (pantry.csv and its three companions)."""
    measures: dict[str, list[Measure]] = {}
    for row in table("pantry_measures"):
        measures.setdefault(row["key"], []).append(
            Measure(row["unit"], row["form"], float(row["grams"]), row["source"])
        )
    traits = {row["key"]: row for row in table("pantry_traits")}
    ingredients = (
        Ingredient(
            key=row["key"],
            name=row["name"],
            group=row["group"],
            roles=frozenset(row["roles"].split()),
            sugar_kind=row["sugar_kind"],
            tags=frozenset(row["tags"].split()),
            per_100g=Composition(*(float(row[name]) for name in COMPOSITION_FIELDS)),
            measures=tuple(measures.get(row["key"], ())),
            source=row["source"],
            locator=row["locator"],
            by_hand=row["by_hand"],
            traits=frozenset(more.get("traits", "").split()),
            becomes=more.get("becomes", ""),
            effort=int(more.get("effort", "") or 0),
        )
        for row in table("pantry")
        for more in (traits.get(row["key"], {}),)
    )
    return Pantry(ingredients, ((row["key"], row["name"]) for row in table("pantry_names")))
