"""Each metric before and after, and in words."""

from __future__ import annotations

from dataclasses import dataclass

from sun_crumb.core.balance.families import Family
from sun_crumb.core.balance.metrics import METRICS, Metric
from sun_crumb.core.reference import constant


@dataclass(frozen=True, slots=True)
class Verdict:
    """One metric before and after. ``deviation`` is against the wanted value: parts of it, or meq/g for alkali.

    ``level`` is balanced within one band, strained within two, off beyond.
    """

    key: str
    name: str
    before: float
    after: float
    deviation: float
    band: tuple[float, float]
    level: str
    words: str


def denominator_of(metric: Metric, before: dict[str, float]) -> str:
    """Return the quantity a metric is divided by: moisture of a dessert that holds no flour goes by its mass."""
    if metric.key == "liquid" and before["holding"] < 0.08 * before["mass"]:
        return "mass"
    return metric.denominator


def deviation(
    metric: Metric, before: dict[str, float], after: dict[str, float], keep_sweet: float = 1.0
) -> float | None:
    """Return how far *after* is from *before* in one metric, or None where the original has none of it."""
    below = denominator_of(metric, before)
    old = before[metric.numerator] / (before[below] if below else 1.0) if not below or before[below] > 0 else 0.0
    new = after[metric.numerator] / (after[below] if below else 1.0) if not below or after[below] > 0 else 0.0
    if metric.key == "alkali":
        return new - old
    wanted = old * (keep_sweet if metric.key == "sweetness" else 1.0)
    if abs(wanted) < 1e-9:
        return None
    return (new - wanted) / max(wanted, metric.floor)


def judge(family: Family, before: dict[str, float], after: dict[str, float], keep_sweet: float = 1.0) -> list[Verdict]:
    """Return the verdict on every metric that *family* minds and the original has, and browning as advice."""
    found = []
    for key, band in family.bands.items():
        metric = METRICS[key]
        off = deviation(metric, before, after, keep_sweet)
        if off is None:
            continue
        below = denominator_of(metric, before)
        old = before[metric.numerator] / (before[below] if below else 1.0)
        new = after[metric.numerator] / (after[below] if below else 1.0)
        reach = off / (band[1] if off > 0 else band[0])
        level = "balanced" if abs(reach) <= 1.001 else "strained" if abs(reach) <= 2.001 else "off"
        found.append(Verdict(key, metric.name, old, new, off, band, level, _words(metric, off, reach, old, new)))
    if before["browning"] > 0.002 * before["mass"] or after["browning"] > 0.002 * after["mass"]:
        found.append(_browning(before, after))
    return found


def _words(metric: Metric, off: float, reach: float, old: float, new: float) -> str:
    if metric.key == "sweetness":
        return f"{100 * new / old:.0f} % as sweet"
    if abs(reach) < 0.35:
        return "as before"
    words = metric.wetter if off > 0 else metric.drier
    return words if abs(reach) > 1 else f"a touch {words.split(':')[0].split(',')[0]}"


def _browning(before: dict[str, float], after: dict[str, float]) -> Verdict:
    """Return the verdict on browning: the reducing sugars against the original's, never in the way of a plan."""
    limit = constant("browning_ratio")
    old, new = before["browning"] / before["mass"], after["browning"] / after["mass"]
    # Crumb with hardly any reducing sugar browns by its milk and flour; below 1 % the ratio would only frighten.
    ratio = max(new, 0.01) / max(old, 0.01)
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
        "browning", "Browning", old, new, off, (0.4, limit - 1), "strained" if is_sooner else "balanced", words
    )
