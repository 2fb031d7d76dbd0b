"""The pantry of one household: what ships, and its own products; sweeteners side by side."""

from __future__ import annotations

import logging
import re
from collections.abc import Iterable
from dataclasses import asdict, dataclass, replace
from math import exp
from weakref import WeakKeyDictionary

from sqlalchemy import String, cast, select
from sqlalchemy.orm import Session

from sun_crumb.core.errors import OutOfDomainError
from sun_crumb.core.pantry import Ingredient, Pantry, diets, shipped_pantry
from sun_crumb.core.pantry.household import household
from sun_crumb.core.pantry.ingredient import Measure
from sun_crumb.core.pantry.label import FromLabel, from_label
from sun_crumb.core.quantities.measures import CupStandard, cup_standard
from sun_crumb.core.reference import table
from sun_crumb.core.sugars.sweetness import glycosides_like_sugar, grams_as_sweet, sucrose_equivalent
from sun_crumb.core.wish import paths
from sun_crumb.schemas.products import PackIn
from sun_crumb.services.clock import now
from sun_crumb.services.deeds import made_before, note, taken_away
from sun_crumb.services.errors import DamagedError, NotFoundError
from sun_crumb.services.preferences import prices_in
from sun_crumb.services.soundness import label_of, made_of, sound_product
from sun_crumb.store import Database
from sun_crumb.store.tables import Learned, Product

_known: WeakKeyDictionary[Database, tuple[object, Pantry]] = WeakKeyDictionary()
log = logging.getLogger(__name__)


def pantry_in(session: Session, *, is_learned: bool = True) -> Pantry:
    """Return the shipped pantry with the household's own products, as sweet as its tastings found them; kept until one of those changes.

    A damaged product is left out: what holds it is damaged too, and nothing else is.
    """
    database: Database = session.info["database"]
    rows = session.execute(select(Product.id, cast(Product.label, String), Product.like).order_by(Product.id)).all()
    learned = session.execute(select(Learned.key, Learned.mean, Learned.sd)).all() if is_learned else []
    factors = {row.key: exp(row.mean) for row in learned}
    found = _known.get(database)
    if found and found[0] == (rows, learned):
        return found[1]
    products: list[tuple[Ingredient, tuple[str, ...]]] = []
    for row in session.scalars(select(Product).order_by(Product.id)):
        try:
            products.append((sound_product(row).ingredient, ()))
        except DamagedError as error:
            log.warning("own_%s is left out: %s", row.id, error.message)
    # A product taken away stays known to the recipes that hold it; only looking it up hides it.
    pantry = shipped_pantry().with_products(products) if products else shipped_pantry()
    pantry = pantry.with_sweetness(factors, {row.key: row.sd for row in learned})
    if is_learned:
        _known[database] = ((rows, learned), pantry)
    return pantry


def pantry_of(database: Database) -> Pantry:
    """Return the pantry of one household."""
    with database.reading() as session:
        return pantry_in(session)


def read_label(pack: PackIn, like: str) -> Labelled:
    """Return the ingredient that a label describes, with its estimates and contradictions; nothing is kept."""
    return _labelled(from_label("own", label_of(pack), shipped_pantry()[like], glycosides_like_sugar))


def keep_product(database: Database, pack: PackIn, like: str, client_key: str | None = None) -> Labelled:
    """Keep a product of the household's own and return it as read_label does, with its key."""
    content = [pack.model_dump(), like]
    with database.transaction() as session:
        if made := made_before(session, client_key, "product", content):
            row = session.get(Product, made[0])
            if row is None or row.deleted_at is not None:
                raise taken_away("product")
            return _labelled(sound_product(row))
        row = add_product(session, pack, like)
        note(session, client_key, "product", content, [row.id])
        return _labelled(sound_product(row))


def add_product(session: Session, pack: PackIn, like: str) -> Product:
    """Put a product into the household's pantry, in the caller's transaction; raise CoreError where it can't be one."""
    made_of(0, pack, like)
    row = Product(label=asdict(label_of(pack)), like=like, created_at=now(session))
    session.add(row)
    session.flush()
    return row


def products_in(session: Session) -> list[Product]:
    """Return the household's own products as they are stored."""
    return list(session.scalars(select(Product).order_by(Product.id)))


def remove_product(database: Database, key: str) -> None:
    """Take a product out of sight; recipes that use it keep it."""
    with database.transaction() as session:
        _product(session, key).deleted_at = now(session)


def restore_product(database: Database, key: str) -> Labelled:
    """Bring a product back."""
    with database.transaction() as session:
        row = _product(session, key)
        row.deleted_at = None
        return _labelled(sound_product(row))


def _product(session: Session, key: str) -> Product:
    number = re.fullmatch(r"own_([0-9]{1,18})", key)
    row = session.get(Product, int(number[1])) if number else None
    if row is None:
        raise NotFoundError(f"no product {key!r} of your own", field="key")
    return row


def hidden_products(database: Database) -> set[str]:
    """Return the keys of the products that were taken away."""
    with database.reading() as session:
        return {f"own_{i}" for i in session.scalars(select(Product.id).where(Product.deleted_at.is_not(None)))}


@dataclass(frozen=True, slots=True)
class KnownAllergen:
    """An allergen that the pantry knows of, and whose law names it."""

    name: str
    is_us: bool
    is_eu: bool


@dataclass(frozen=True, slots=True)
class Facts:
    """All that is known of an ingredient. ``sweetness`` is per 100 g as grams of sugar, None for what sweetens by the pinch."""

    ingredient: Ingredient
    names: tuple[str, ...]
    sweetness: float | None
    measures: tuple[Measure, ...]
    allergens: tuple[KnownAllergen, ...]
    fits_diets: tuple[str, ...]
    not_for_diets: tuple[str, ...]
    source_words: str


@dataclass(frozen=True, slots=True)
class Labelled:
    """The ingredient that a label describes, what of it is estimated, and where the label contradicts itself."""

    ingredient: Facts
    estimated: tuple[str, ...]
    contradictions: tuple[str, ...]


def _labelled(made: FromLabel) -> Labelled:
    return Labelled(facts(made.ingredient), tuple(made.estimated), tuple(made.contradictions))


def get_ingredient(database: Database, key: str) -> Facts:
    """Return all that is known of an ingredient."""
    pantry = pantry_of(database)
    return facts(pantry[key], pantry.names_of(key))


def facts(ingredient: Ingredient, names: Iterable[str] = ()) -> Facts:
    """Return an ingredient with its weights, tags and sources in words."""
    sources = {row["key"]: row["what"] for row in table("sources")}
    c = ingredient.per_100g
    return Facts(
        ingredient=ingredient,
        names=tuple(names),
        sweetness=sucrose_equivalent([(c, 100.0)]) if not c.glycosides_g else None,
        measures=tuple(replace(m, source=sources.get(m.source, m.source)) for m in ingredient.measures),
        allergens=tuple(
            KnownAllergen(row["name"], row["us"] == "yes", row["eu"] == "yes")
            for row in table("allergens")
            if row["tag"] in ingredient.tags
        ),
        fits_diets=tuple(d.name for d in diets().values() if not d.excluded_tags & ingredient.tags),
        not_for_diets=tuple(d.name for d in diets().values() if d.excluded_tags & ingredient.tags),
        source_words=sources.get(ingredient.source, ingredient.source),
    )


@dataclass(frozen=True, slots=True)
class SweetenerSide:
    """A sweetener at the amount that is as sweet as some sugar [g]; None where no amount is."""

    key: str
    name: str
    is_refined: bool
    grams: float | None
    household: str
    energy_kcal: float | None
    free_sugars_who_g: float | None
    free_sugars_uk_g: float | None
    water_g: float | None
    price: float | None
    price_per_kg: float | None


def sweeteners(database: Database, sugar_g: float, batter_g: float, cup: str) -> list[SweetenerSide]:
    """Return every sweetener at the amount that tastes as sweet as *sugar_g* of sugar in *batter_g* of batter."""
    if not 0 < sugar_g <= 5000 or not 0 < batter_g <= 50_000:
        raise OutOfDomainError("compare at 1 to 5,000 g of sugar in up to 50,000 g of batter", field="sugar_g")
    standard, pantry, hidden = cup_standard(cup), pantry_of(database), hidden_products(database)
    prices = prices_in(database)
    found = [
        _side(ingredient, grams_as_sweet(ingredient.per_100g, sugar_g, batter_g), standard, prices.get(ingredient.key))
        for ingredient in pantry
        if ingredient.key not in hidden
        and (ingredient.group == "refined" or any(p.allows(ingredient) for p in paths().values()))
    ]
    return sorted(found, key=lambda v: (v.grams is None, v.free_sugars_who_g or 0.0, v.energy_kcal or 0.0))


def _side(ingredient: Ingredient, grams: float | None, cup: CupStandard, price: float | None) -> SweetenerSide:
    c = ingredient.per_100g
    return SweetenerSide(
        key=ingredient.key,
        name=ingredient.name,
        is_refined=ingredient.group == "refined",
        grams=grams,
        household=household(ingredient, grams, cup) if grams is not None else "",
        energy_kcal=_share(c.energy_kcal, grams),
        free_sugars_who_g=_share(c.total_sugars_g * c.free_who_share, grams),
        free_sugars_uk_g=_share(c.total_sugars_g * c.free_uk_share, grams),
        water_g=_share(c.water_g, grams),
        price=price * grams / 1000 if price is not None and grams is not None else None,
        price_per_kg=price,
    )


def _share(per_100g: float, grams: float | None) -> float | None:
    # In the steps that are shown: what shows as equal is ordered as equal.
    return None if grams is None else round(per_100g * grams / 100, 1)
