"""Each metric before and after, and in words."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache
from math import inf
from typing import Literal

from sun_crumb.core.balance.families import Family, families
from sun_crumb.core.balance.metrics import METRICS, Metric
from sun_crumb.core.balance.norms import norms
from sun_crumb.core.quantities.household import percent
from sun_crumb.core.reference import constant, table

Level = Literal["balanced", "strained", "off"]
# How much sweeter than asked is no fault, and how many times the reducing sugar is more than advice about the oven (judgement).
SWEETER, FAR_BROWNER = 0.2, 6.0
# What is said of moisture must be true of the water; so much above the norm nothing bakes through [g in 100 g] (judgement).
MOIST_WORDS, TOLD_WATER_G = frozenset({"drier", "wetter"}), 4.0
# Crumb with hardly any reducing sugar browns by its milk and flour, as if it held this share of it.
PLAIN_CRUMB = 0.02
# What is asked of a plan is to stay within one band. What is told, and drawn, ends so many bands out: bands are judgement,
# and what passes one by a hair is no reason for a fussy change.
HARDLY = 1.15


@dataclass(frozen=True, slots=True)
class Verdict:
    """One metric before and after. ``deviation`` is against the wanted value: parts of it, or meq/g for alkali.

    ``level`` is balanced within ``band`` (the family's and a hair more, but for sweetness), strained within two of the family's, off beyond; ``words`` say what it is like to eat,
    ``told`` how far it is off, with its unit. ``norm`` is where the family's patterns lie, as deviations.
    """

    key: str
    name: str
    before: float
    after: float
    deviation: float
    band: tuple[float, float]
    level: Level
    words: str
    told: str
    norm: tuple[float, float] | None = None

    @property
    def limits(self) -> tuple[float, float]:
        """The deviations between which it is balanced, with their signs."""
        return (-self.band[0], self.band[1])


@dataclass(frozen=True, slots=True)
class Gauge:
    """One metric set up for one original: what is divided by what, what is wanted, and what a deviation is a part of.

    ``name``, ``less`` and ``more`` are the words of this kind of dessert, from textures.csv.
    """

    metric: Metric
    name: str
    less: str
    more: str
    below: str
    old: float
    wanted: float
    scale: float
    band: tuple[float, float]
    sweeter: float = SWEETER
    norm: tuple[float, float] | None = None
    water_norm: tuple[float, float] = (0.0, inf)

    def ratio(self, after: dict[str, float]) -> float:
        """Return the metric of these quantities; 0 where there is nothing to divide by."""
        if not self.below:
            return after[self.metric.numerator]
        return after[self.metric.numerator] / after[self.below] if after[self.below] > 0 else 0.0

    def deviation(self, after: dict[str, float]) -> float:
        """Return how far these quantities are from what is wanted: parts of it, or meq/g for alkali."""
        return (self.ratio(after) - self.wanted) / self.scale

    def reach(self, off: float) -> float:
        """Return a deviation in bands, with its sign."""
        return off / (self.band[1] if off > 0 else self.band[0])

    def norm_off(self) -> tuple[float, float] | None:
        """Return where the family's patterns lie, as deviations from what is wanted."""
        if self.norm is None:
            return None
        low, high = ((x - self.wanted) / self.scale for x in self.norm)
        return low, high

    def told(self, off: float) -> str:
        """Return a deviation with its unit: per cent, but grams in 100 g of water and meq/kg of acid and soda."""
        if self.metric.key == "alkali":
            return f"{1000 * off:+.0f} meq/kg".replace("-", "−")
        if self.metric.key == "water":
            return f"{100 * off * self.scale:+.0f} g in 100 g".replace("-", "−")
        return percent(off)


def gauges(
    family: Family, before: dict[str, float], keep_sweet: float = 1.0, sweeter: float = SWEETER, thirst: float = 0.0
) -> list[Gauge]:
    """Return a gauge for every metric that *family* minds and the original has.

    Parameters
    ----------
    family
        The kind of dessert: its bands, as parts of what is wanted, or meq/g for alkali.
    before
        The original by the names of QUANTITIES [g, mL, meq].
    keep_sweet
        Sweetness wanted, as a share of the original's.
    sweeter
        By which part more of it is no fault.
    thirst
        How much more liquid the household's flour takes than the recipe reckons with, as a share: so much moister what holds flour is to be.

    References
    ----------
    families.csv
    """
    found = []
    water = norms(family.key).get("water")
    water_norm = (water.low, water.high) if water else (0.0, inf)
    for key, band in family.bands.items():
        metric = METRICS[key]
        # Moisture of a dessert that holds no flour goes by its mass.
        dry = key == "liquid" and before["holding"] < 0.08 * before["mass"]
        below = "mass" if dry else metric.denominator
        old = before[metric.numerator] / (before[below] if below else 1.0) if not below or before[below] > 0 else 0.0
        wanted = old * (keep_sweet if key == "sweetness" else 1 + thirst if key == "liquid" and not dry else 1.0)
        if key != "alkali" and abs(wanted) < 1e-9:
            continue
        scale = 1.0 if key == "alkali" else max(wanted, metric.floor)
        found.append(
            Gauge(
                metric,
                *_texture(key, family.key),
                below,
                old,
                wanted,
                scale,
                band,
                sweeter,
                _norm(family, key, below),
                water_norm,
            )
        )
    return found


def judge(family: Family, before: dict[str, float], after: dict[str, float], keep_sweet: float = 1.0) -> list[Verdict]:
    """Return the verdict on every metric that *family* minds and the original has, and browning as advice.

    Parameters
    ----------
    family
        The kind of dessert.
    before, after
        Original and rework by the names of QUANTITIES [g, mL, meq].
    keep_sweet
        Sweetness wanted, as a share of the original's.
    """
    return verdicts(gauges(family, before, keep_sweet), before, after, is_baked=family.browns)


def verdicts(
    by: list[Gauge], before: dict[str, float], after: dict[str, float], *, is_baked: bool = True
) -> list[Verdict]:
    """Return the verdict *by* each gauge, and on browning as advice where something is baked.

    Parameters
    ----------
    by
        What gauges made of the original.
    before, after
        Original and rework by the names of QUANTITIES [g, mL, meq].
    is_baked
        Whether it sees an oven; else browning is not judged.
    """
    found = []
    for gauge in by:
        off, new = gauge.deviation(after), gauge.ratio(after)
        reach = gauge.reach(off)
        edge = 1.0 if gauge.metric.key == "sweetness" else HARDLY
        level: Level = "balanced" if abs(reach) <= edge + 0.001 else "strained" if abs(reach) <= 2.001 else "off"
        if gauge.metric.key == "sweetness" and gauge.wanted <= new <= min(
            gauge.old * (1 + gauge.band[1]), gauge.wanted * (1 + gauge.sweeter)
        ):
            # A little sweeter than asked, and no sweeter than the original, is no fault.
            level = "balanced"
        elif gauge.metric.key == "sweetness" and off > 0 and _is_as_sweet_a_portion(gauge, before, after):
            # Gram for gram sweeter, in a portion that is smaller and as sweet as it was: no fault either.
            level = "balanced"
        elif gauge.metric.key == "sweetness" and off > 0 and new <= gauge.old * (1 + gauge.band[1]):
            level = "strained"
        words = _words(gauge, off, reach, new, _water_in(before), _water_in(after))
        key, told = gauge.metric.key, gauge.told(off)
        found.append(
            Verdict(
                key=key,
                name=gauge.name,
                before=gauge.old,
                after=new,
                deviation=off,
                band=(edge * gauge.band[0], edge * gauge.band[1]),
                level=level,
                words=words,
                told=told,
                norm=gauge.norm_off(),
            )
        )
    if is_baked and (before["browning"] > 0.002 * before["mass"] or after["browning"] > 0.002 * after["mass"]):
        found.append(_browning(before, after))
    return found


def _is_as_sweet_a_portion(gauge: Gauge, before: dict[str, float], after: dict[str, float]) -> bool:
    """Return whether a batch that is smaller holds no more sweetness than was asked of the whole."""
    asked = gauge.wanted / gauge.old * before["sweetness"] if gauge.old > 0 else 0.0
    return after["mass"] < before["mass"] and after["sweetness"] <= asked * (1 + gauge.band[1])


# Which norm a metric has, and what it is to be divided by to be in the metric's unit; liquid goes by what holds it alone.
_NORM_OF = {"water": ("water", 100), "fat": ("fat", 100), "structure": ("structure", 100), "bulk": ("sugars", 100), "lift": ("lift", 100), "liquid": ("liquid", 1)}  # fmt: skip


def _norm(family: Family, metric: str, below: str) -> tuple[float, float] | None:
    """Return where the family's patterns lie by a metric, in its own unit; None where they tell nothing of it."""
    name, per = _NORM_OF.get(metric, ("", 1))
    found = norms(family.key).get(name)
    if found is None or (metric == "liquid" and below == "mass"):
        return None
    return found.low / per, found.high / per


@cache
def _texture(metric: str, family: str) -> tuple[str, str, str]:
    """Return a metric's name in this family, and what less and more of it are like to eat."""
    rows = [row for row in table("textures") if row["metric"] == metric]
    kind = families()[family]
    row = next((row for row in rows if kind.is_among(row["families"].split())), rows[0])
    return row["name"], row["less"], row["more"]


def _water_in(quantities: dict[str, float]) -> float:
    """Return the water in 100 g [g]."""
    return 100 * quantities["water"] / quantities["mass"] if quantities["mass"] else 0.0


def _moist(gauge: Gauge, reach: float, words: str, old: float, new: float) -> str:
    """Return words on moisture that are true of the water itself, *old* and *new* in 100 g [g], and of what the family holds of it."""
    low, high = gauge.water_norm
    if reach > 0:
        if new < old - 0.5:
            return "looser"
        if new > high + TOLD_WATER_G:
            return f"{words.split(',')[0]}, the centre may never bake through"
        return words if new > high or reach > 2 else "moister"
    if new > old + 0.5 or new > low:
        return "firmer, moist still" if new > low else "firmer"
    return words


def _words(gauge: Gauge, off: float, reach: float, new: float, old_water: float, new_water: float) -> str:
    if gauge.metric.key == "sweetness":
        return f"{100 * new / gauge.old:.0f} % as sweet"
    if abs(reach) < 0.35:
        return "as before"
    words = gauge.more if off > 0 else gauge.less
    if gauge.metric.key == "liquid" and gauge.name == "Moisture" and words.split(",")[0] in MOIST_WORDS:
        words = _moist(gauge, reach, words, old_water, new_water)
    return words if abs(reach) > HARDLY + 0.001 else f"a touch {words.split(',')[0]}"


def _browning(before: dict[str, float], after: dict[str, float]) -> Verdict:
    """Return the verdict on browning: the reducing sugars against the original's, never in the way of a plan."""
    limit = constant("browning_ratio")
    old, new = before["browning"] / before["mass"], after["browning"] / after["mass"]
    ratio = max(new, PLAIN_CRUMB) / max(old, PLAIN_CRUMB)
    off = ratio - 1
    is_sooner = ratio > limit
    words = (
        f"browns sooner: {constant('browning_drop_c'):.0f} °C less"
        if is_sooner
        else "paler crust"
        if ratio < 0.6
        else "as before"
    )
    return Verdict(
        key="browning",
        name="Browning",
        before=old,
        after=new,
        deviation=off,
        band=(0.4, limit - 1),
        level="strained" if is_sooner else "balanced",
        words=words,
        told=percent(off),
    )
