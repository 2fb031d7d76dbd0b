"""What is made before it goes in, as mass balances: water and every sugar that goes in comes out, in the one part or the other."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cache

from sun_crumb.core.errors import OutOfDomainError, require_choice
from sun_crumb.core.kitchen.mass import DISSOLVED, SOLIDS, SUGARS, Mass
from sun_crumb.core.pantry import Ingredient, Pantry
from sun_crumb.core.quantities.household import grams_text
from sun_crumb.core.reference import table

MOST_G = 20_000.0


@dataclass(frozen=True, slots=True)
class Prepared:
    """What a preparation gives: the thing itself, what is left over (liquid, pulp, what stays in the blender), in words, and how long it takes [min].

    ``drawn`` is what leaves as steam or down the sink.
    """

    kind: str
    made: Mass
    left: Mass
    drawn: Mass
    words: str
    hands_on: tuple[int, int]
    wait_min: int = 0

    def as_figures(self) -> dict[str, object]:
        """Return the contract's figures: mass, water, sugars and energy of what is made, each sugar, and of what is left over."""
        return {
            "kind": self.kind,
            **_figures_of(self.made),
            "left": _figures_of(self.left),
            "drawn_g": round(self.drawn.mass_g, 2),
            "words": self.words,
            "hands_on_minutes": list(self.hands_on),
            "wait_minutes": self.wait_min,
        }


def _figures_of(mass: Mass) -> dict[str, float]:
    return {
        "mass_g": round(mass.mass_g, 2),
        "water_g": round(mass.water_g, 2),
        "total_sugars_g": round(mass.total_sugars_g, 3),
        **{name: round(mass.held(name), 3) for name in SUGARS},
        "energy_kcal": round(mass.energy_kcal, 1),
    }


@dataclass(frozen=True, slots=True)
class Asked:
    """What is asked of a preparation: its figures and choices by key, and the pantry to look foods up in."""

    kind: str
    given: Mapping[str, str]
    pantry: Pantry
    known: set[str] = field(default_factory=set)

    def number(self, key: str, usual: float | None = None, *, most: float = MOST_G, least: float = 0.0) -> float:
        """Return a figure; *usual* where it is not given.

        Raises
        ------
        OutOfDomainError
            It is missing, no number, or out of bounds; names the key.
        """
        self.known.add(key)
        text = self.given.get(key)
        if text is None or not str(text).strip():
            if usual is None:
                raise OutOfDomainError(f"{self.kind} needs {key}", field=key)
            return usual
        try:
            value = float(str(text).replace(",", "."))
        except ValueError:
            raise OutOfDomainError(f"{key}: {text!r} is no number", field=key) from None
        if not least <= value <= most:
            raise OutOfDomainError(f"{key} must lie from {least:g} to {most:g}, not {value:g}", field=key)
        return value

    def food(self, usual: str) -> Ingredient:
        """Return the food that is asked for by its pantry key, the *usual* one where none is."""
        return self.pantry[self.word("food", usual)]

    def word(self, key: str, usual: str) -> str:
        """Return a choice, the *usual* one where none is given."""
        self.known.add(key)
        return str(self.given.get(key) or usual)

    def check_known(self) -> None:
        """Raise OutOfDomainError where something was given that the preparation doesn't ask for; names it."""
        for key in self.given:
            if key not in self.known:
                raise OutOfDomainError(
                    f"{self.kind} asks for no {key}; it takes: {', '.join(sorted(self.known))}", field=key
                )


@cache
def _figures() -> dict[tuple[str, str], float]:
    return {(row["kind"], row["key"]): float(row["value"]) for row in table("preparations")}


def _figure(kind: str, key: str) -> float:
    return _figures()[kind, key]


def _paste(a: Asked) -> Prepared:
    """Dried fruit blended with water, or with a liquid of the recipe's own that is counted once."""
    food, grams, water = a.food("medjool_date"), a.number("grams"), a.number("water", 0.0)
    liquid = a.word("liquid", "water")
    whole = Mass.of(food, grams) + Mass.of(a.pantry[liquid], water)
    stays = min(a.number("left", _figure("paste", "loss_g")), whole.mass_g)
    share = 1 - stays / whole.mass_g if whole.mass_g else 0.0
    wet = f" with {grams_text(water)} of {a.pantry[liquid].name}" if water else ""
    words = f"Blend {grams_text(grams)} of {food.name}{wet}: {grams_text(share * whole.mass_g)} of paste."
    return Prepared("paste", whole.times(share), whole.times(1 - share), Mass.none(), words, (5, 8), 15 if water else 0)


def _soaked(a: Asked, kind: str) -> Prepared:
    food, grams, water = a.food("medjool_date" if kind == "soak" else "raisin"), a.number("grams"), a.number("water")
    dry, pot = Mass.of(food, grams), Mass.of(a.pantry["water"], water)
    after = a.number("after", min(grams * (1 + _figure(kind, "uptake_share")), grams + water))
    leached = a.number("leached", _figure(kind, "leached_share"), most=1.0)
    given = dry.part(dict.fromkeys(DISSOLVED, leached), 0.0)
    taken = after - grams + given.mass_g
    if taken > water + 1e-9:
        raise OutOfDomainError(f"after: {after:.0f} g is more than fruit and water together", field="after")
    fruit = (dry - given).wetter(taken)
    liquid = (pot + given).wetter(-taken)
    words = f"{grams_text(grams)} of {food.name} in {grams_text(water)} of water: {grams_text(fruit.mass_g)} drained, {grams_text(liquid.mass_g)} of liquid with {grams_text(liquid.total_sugars_g)} of sugar."
    return Prepared(kind, fruit, liquid, Mass.none(), words, (2, 3), 20)


def _mash(a: Asked) -> Prepared:
    food = a.food("banana")
    size = a.word("size", "medium")
    counted = a.number("count", 0.0, most=500)
    if a.word("weighed", ""):
        grams = a.number("weighed")
        words = f"{grams_text(grams)} of mashed {food.name}, as weighed."
    else:
        count = counted or a.number("count", most=500)
        measure = food.measure("each", size) or food.measure("each")
        if measure is None:
            raise OutOfDomainError(f"no weight is known for one {food.name}: weigh it", field="weighed")
        grams = count * measure.grams
        words = f"{count:g} {size} {food.name}: about {grams_text(grams)} without skin; weigh it and go by that."
    return Prepared("mash", Mass.of(food, grams), Mass.none(), Mass.none(), words, (2, 4))


def _cooked(a: Asked, kind: str) -> Prepared:
    food, grams = a.food("sweet_potato"), a.number("grams")
    raw = Mass.of(food, grams)
    after = a.number("after", grams * (1 - _figure(kind, "loss_share")))
    made = raw.wetter(after - grams)
    words = (
        f"{grams_text(grams)} of {food.name}: {grams_text(after)} {kind}ed."
        if kind != "boil"
        else f"{grams_text(grams)} of {food.name}: {grams_text(after)} boiled and drained."
    )
    return Prepared(
        kind,
        made,
        Mass.none(),
        Mass.none().wetter(0) if after > grams else _steam(grams - after),
        words,
        (5, 10),
        {"roast": 35, "steam": 15, "boil": 15}[kind],
    )


def _steam(grams: float) -> Mass:
    return Mass(grams, grams, 0.0, 0.0, (0.0,) * len(SOLIDS))


def _squeeze(a: Asked) -> Prepared:
    """Grated and wrung: the juice takes its dissolved sugar with it, as strong as in the food."""
    food, before = a.food("courgette"), a.number("before")
    after = a.number("after", most=before)
    raw = Mass.of(food, before)
    gone = before - after
    dissolved = sum(raw.held(name) for name in DISSOLVED)
    juice_all = raw.water_g + dissolved
    share = gone / juice_all if juice_all else 0.0
    if share > 1:
        raise OutOfDomainError(
            f"after: {before:.0f} g of {food.name} hold only {juice_all:.0f} g of juice", field="after"
        )
    juice = raw.part(dict.fromkeys(DISSOLVED, share), raw.water_g * share)
    words = f"{grams_text(before)} of {food.name}, {grams_text(after)} squeezed: {grams_text(juice.water_g)} of water and {grams_text(juice.total_sugars_g)} of sugar run off."
    return Prepared("squeeze", raw - juice, juice, Mass.none(), words, (3, 5))


def _reduce(a: Asked) -> Prepared:
    """Boiled down to a mass or a strength: the same sugar in less water."""
    food, grams = a.food("orange_juice"), a.number("grams")
    raw = Mass.of(food, grams)
    solids = raw.mass_g - raw.water_g - raw.held("fat_g") - raw.held("protein_g") - raw.held("fibre_g")
    a.known.update(("brix", "after"))
    if a.given.get("brix"):
        brix = a.number("brix", most=90.0, least=1.0)
        now = 100 * solids / grams
        if brix < now - 1e-6:
            raise OutOfDomainError(f"brix: {food.name} is at {now:.0f} °Bx already", field="brix")
        after = 100 * solids / brix
    else:
        after = a.number("after", most=grams)
    made = raw.wetter(after - grams)
    words = f"{grams_text(grams)} of {food.name} boiled down to {grams_text(after)}, about {100 * solids / after:.0f} °Bx: the same {grams_text(made.total_sugars_g)} of sugar."
    return Prepared("reduce", made, Mass.none(), _steam(grams - after), words, (3, 5), 20)


def _cream(a: Asked) -> Prepared:
    food, grams = a.food("coconut_milk_tinned"), a.number("grams", 400.0)
    solid = a.number("solid", grams * _figure("cream", "solid_share"), most=grams)
    tin = Mass.of(food, grams)
    shares = dict.fromkeys(SOLIDS, solid / grams) | {"fat_g": _figure("cream", "fat_share")}
    dry = tin.part(shares, 0.0)
    if dry.mass_g > solid:
        raise OutOfDomainError(f"solid: {solid:.0f} g can't hold the fat of this tin", field="solid")
    cream = dry.wetter(solid - dry.mass_g)
    words = f"A tin of {grams_text(grams)}, chilled overnight: {grams_text(solid)} of cream; keep the {grams_text(grams - solid)} of liquid for another bake."
    return Prepared("cream", cream, tin - cream, Mass.none(), words, (2, 3), 480)


def _grind(a: Asked) -> Prepared:
    food, grams = a.food("erythritol"), a.number("grams")
    starch = a.number("starch", grams * _figure("grind", "starch_share"))
    made = Mass.of(food, grams) + Mass.of(a.pantry["cornflour"], starch)
    words = (
        f"Grind {grams_text(grams)} of {food.name}"
        + (f" with {grams_text(starch)} of cornflour" if starch else "")
        + " to a fine powder: the same weight, more room."
    )
    return Prepared("grind", made, Mass.none(), Mass.none(), words, (2, 3))


def _nut_milk(a: Asked) -> Prepared:
    food, grams, water = a.food("almonds"), a.number("grams"), a.number("water")
    nuts = Mass.of(food, grams)
    f = _figure
    shares = dict.fromkeys(DISSOLVED, f("nut_milk", "sugar_share")) | {
        "fat_g": f("nut_milk", "fat_share"), "protein_g": f("nut_milk", "protein_share"), "fibre_g": f("nut_milk", "fibre_share"),
        "starch_g": f("nut_milk", "starch_share"), "ash_g": f("nut_milk", "sugar_share"),
    }  # fmt: skip
    passed = nuts.part(shares, 0.0)
    pulp_dry = nuts - passed
    pulp_water = min(f("nut_milk", "pulp_water") * (pulp_dry.mass_g - pulp_dry.water_g), water + nuts.water_g)
    milk = passed.wetter(water + nuts.water_g - pulp_water)
    pulp = pulp_dry.wetter(pulp_water - pulp_dry.water_g)
    words = f"{grams_text(grams)} of {food.name} and {grams_text(water)} of water: {grams_text(milk.mass_g)} of milk, {grams_text(pulp.mass_g)} of pulp."
    return Prepared("nut_milk", milk, pulp, Mass.none(), words, (8, 12), 120)


def _flour(a: Asked) -> Prepared:
    food, grams = a.food("rolled_oats"), a.number("grams")
    loss = _figure("flour", "loss_share")
    whole = Mass.of(food, grams)
    words = f"Grind {grams_text(grams)} of {food.name}: {grams_text(grams * (1 - loss))} of flour."
    return Prepared("flour", whole.times(1 - loss), whole.times(loss), Mass.none(), words, (2, 3))


def _gel(a: Asked) -> Prepared:
    food, grams = a.food("ground_flax"), a.number("grams")
    kind = "chia_gel" if "chia" in food.key else "flax_gel"
    water = a.number("water", grams * _figure(kind, "water_per_g"))
    made = Mass.of(food, grams) + Mass.of(a.pantry["water"], water)
    words = f"Stir {grams_text(grams)} of {food.name} into {grams_text(water)} of water and let it thicken for 10 minutes: {grams_text(made.mass_g)}."
    return Prepared("gel", made, Mass.none(), Mass.none(), words, (1, 2), 10)


def _toast(a: Asked) -> Prepared:
    food, grams = a.food("walnuts"), a.number("grams")
    raw = Mass.of(food, grams)
    dry = raw.mass_g - raw.water_g
    left = min(_figure("toast", "water_left") / 100 * dry / (1 - _figure("toast", "water_left") / 100), raw.water_g)
    after = a.number("after", dry + left, most=grams)
    words = f"Toast {grams_text(grams)} of {food.name} 8 minutes at 175 °C: {grams_text(after)} when cold."
    return Prepared("toast", raw.wetter(after - grams), Mass.none(), _steam(grams - after), words, (2, 3), 8)


def _melt(a: Asked) -> Prepared:
    food, grams = a.food("dark_chocolate_70"), a.number("grams")
    return Prepared(
        "melt",
        Mass.of(food, grams),
        Mass.none(),
        Mass.none(),
        f"Melt {grams_text(grams)} of {food.name} gently over hot water: the same weight.",
        (3, 5),
    )


def _buttermilk(a: Asked) -> Prepared:
    milk = a.number("milk")
    acid = a.number("acid", milk * _figure("buttermilk", "acid_per_100_ml") / 100)
    food = a.pantry[a.word("with", "lemon_juice")]
    made = Mass.of(a.food("milk"), milk) + Mass.of(food, acid)
    words = f"Stir {grams_text(acid)} of {food.name} into {grams_text(milk)} of milk and leave it 10 minutes."
    return Prepared("buttermilk", made, Mass.none(), Mass.none(), words, (1, 2), 10)


def _soak_nuts(a: Asked) -> Prepared:
    food, grams = a.food("cashews"), a.number("grams")
    after = a.number("after", grams * (1 + _figure("soak_nuts", "uptake_share")))
    made = Mass.of(food, grams).wetter(after - grams)
    words = f"{grams_text(grams)} of {food.name} soaked 2 hours in hot water or overnight in cold: {grams_text(after)} drained."
    return Prepared("soak_nuts", made, Mass.none(), Mass.none(), words, (1, 2), 120)


KINDS: dict[str, Callable[[Asked], Prepared]] = {
    "paste": _paste,
    "soak": lambda a: _soaked(a, "soak"),
    "plump": lambda a: _soaked(a, "plump"),
    "mash": _mash,
    "roast": lambda a: _cooked(a, "roast"),
    "steam": lambda a: _cooked(a, "steam"),
    "boil": lambda a: _cooked(a, "boil"),
    "squeeze": _squeeze,
    "reduce": _reduce,
    "cream": _cream,
    "grind": _grind,
    "nut_milk": _nut_milk,
    "flour": _flour,
    "gel": _gel,
    "toast": _toast,
    "melt": _melt,
    "buttermilk": _buttermilk,
    "soak_nuts": _soak_nuts,
}


def prepare(kind: str, given: Mapping[str, str], pantry: Pantry) -> Prepared:
    """Return what a preparation gives, as masses [g] and energy [kcal].

    Parameters
    ----------
    kind
        One of KINDS.
    given
        Its figures and choices by key: ``grams`` [g], ``water`` [g], ``food`` (a pantry key), ``after`` (as weighed) and the like.
    pantry
        Where foods are looked up.

    Raises
    ------
    UnknownChoiceError
        No such kind; lists the good ones.
    OutOfDomainError
        A figure is missing, absurd or against what is conserved; names its key.

    References
    ----------
    preparations.csv
    """
    kind = require_choice(_named(kind, "kind"), KINDS, "preparation")
    asked = Asked(kind, {_named(key, "key"): str(value) for key, value in given.items()}, pantry)
    found = KINDS[kind](asked)
    asked.check_known()
    return found


def _named(word: str, means: str) -> str:
    """Return the kind or key that a word stands for, by preparation_names.csv."""
    folded = word.strip().lower().replace("-", "_").replace(" ", "_")
    rows = (row for row in table("preparation_names") if row["means"] == means)
    return next((row["key"] for row in rows if folded == row["key"] or folded in row["names"].split()), folded)
